using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Load;

/// <summary>Inputs of <see cref="GlassCalculators.Glazing"/>.</summary>
public sealed record GlazingInput : DesignPart
{
    [Field(Area, 0.01, 20, Label = "Glass")] public double AreaM2 { get; init; } = 1;
    [Field(ThermalTransmittance, 0.3, 8, Label = "U of the glass")] public double U { get; init; } = 5.8;
    [Field(Fraction, 0, 0.95, Label = "Sun let through at right angles (SHGC)")] public double Shgc { get; init; } = 0.72;
    [Field(Fraction, 0, 1, Label = "let through by the inside shade")] public double InteriorShade { get; init; } = 1;
    [Field(ThermalResistance, 0, 3, Label = "Resistance of the cover")] public double CoverR { get; init; }
    [Field(QuantityKind.Irradiance, 0, 1400, Label = "Direct sun on the pane")] public double DirectWm2 { get; init; } = 500;
    [Field(QuantityKind.Irradiance, 0, 800, Label = "Diffuse sun on the pane")] public double DiffuseWm2 { get; init; } = 100;
    [Field(Degrees, 0, 90, Label = "Angle of incidence")] public double IncidenceDeg { get; init; } = 45;
    [Ask("Double pane")] public bool DoublePane { get; init; }
    [Field(TemperatureDifference, -40, 60, Label = "Outdoors warmer by")] public double DifferenceK { get; init; } = 12;
}

/// <summary>Glass on its own.</summary>
public static class GlassCalculators
{
    [Calculator("glazing", "Window", "Sun and warmth through a pane with its shade.", CitationIds = [nameof(Citations.Glass)])]
    public static CalculationResult Glazing(GlazingInput i)
    {
        var modifier = Glass.IncidenceModifier(i.IncidenceDeg, i.DoublePane);
        var diffuse = Glass.DiffuseModifier(i.DoublePane);
        var u = 1 / (1 / i.U + i.CoverR);
        return new ResultBuilder()
            .Step("IAM", "Modifier of the angle", "table by angle of incidence", $"{i.IncidenceDeg}°", modifier, QuantityKind.Number, Citations.Glass)
            .Step("q_sun", "Sun let through", "A·SHGC·IAC·(I_dir·IAM + I_dif·IAM_d)",
                $"{i.AreaM2}·{i.Shgc}·{i.InteriorShade}·({i.DirectWm2}·{modifier:0.###} + {i.DiffuseWm2}·{diffuse})",
                i.AreaM2 * i.Shgc * i.InteriorShade * (i.DirectWm2 * modifier + i.DiffuseWm2 * diffuse), Power, Citations.Glass)
            .Step("q_warm", "Warmth through it", "A·ΔT/(1/U + R_cover)", $"U_eff {u:0.###}", i.AreaM2 * u * i.DifferenceK, Power, Citations.Glass).Done();
    }
}
