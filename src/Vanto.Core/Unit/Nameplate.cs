using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Unit;

/// <summary>What a unit's circuit must carry.</summary>
/// <param name="RunA">At the rating.</param>
/// <param name="MostA">At its highest capacity; the same as <paramref name="RunA"/> for single-speed units.</param>
/// <param name="McaA">Minimum circuit ampacity.</param>
/// <param name="MocpA">Largest breaker or fuse; null for DC units, whose fuse follows the wiring.</param>
/// <param name="Estimated">True where the plate does not say and the figures are estimated.</param>
public readonly record struct CircuitNeed(double RunA, double MostA, double McaA, double? MocpA, bool Estimated);

/// <summary>
/// Running current and circuit of a unit: the plate's figures, else an estimate (NEC 440.33 and 440.22(A) for single-speed units, published; common
/// practice for modulating ones). The plate and the wiring rules win.
/// </summary>
public static class Nameplate
{
    private static readonly double[] StandardA = [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100];

    /// <summary>The unit's circuit.</summary>
    public static CircuitNeed Of(AcUnit unit)
    {
        var factor = unit.IsDc ? 1 : unit.PowerFactorRun;
        double Amperes(double watts) => watts / (unit.SupplyVoltageV * factor);
        var run = Amperes(unit.RatedPowerW);
        var most = unit.SingleSpeed ? run : Amperes(Performance.MostPowerW(unit, Performance.RatedOutdoorC));
        var fan = unit.FanPowerW / (AcUnit.FanPowerFactor * unit.SupplyVoltageV);
        var mca = unit.McaA ?? (unit.SingleSpeed ? 1.25 * unit.RlaA + fan : 1.25 * most);
        double? mocp = unit.IsDc ? null
            : unit.MocpA ?? (unit.SingleSpeed
                ? StandardA.LastOrDefault(a => a <= 1.75 * unit.RlaA + fan, StandardA[0])
                : StandardA.FirstOrDefault(a => a >= mca, StandardA[^1]));
        return new CircuitNeed(run, most, mca, mocp, unit.McaA is null || mocp is not null && unit.MocpA is null);
    }

    /// <summary>What there is to say where the plate does not, or null.</summary>
    public static Finding? Estimated(CircuitNeed need) => !need.Estimated ? null
        : Finding.Of(FindingCode.UnitPlateEstimated, Severity.Note,
            $"Where the plate is gone: a circuit of at least "
                + $"{need.McaA:Current}{(need.MocpA is { } mocp ? Phrase.Of($" on at most {mocp:Current}") : Phrase.Empty)}. Estimated; the plate wins.");
}

/// <summary>Inputs of <see cref="NameplateCalculators.Of"/>.</summary>
public sealed record NameplateInput : DesignPart
{
    [Ask("Unit", Options = "units")] public string Unit { get; init; } = "RT-13-115";
}

/// <summary>Running current and circuit, for the Bench and the API.</summary>
public static class NameplateCalculators
{
    /// <summary>Running current, MCA and MOCP.</summary>
    [Calculator("nameplate-estimate", "Running current and circuit", "What it draws, and the wire and breaker to look for where the plate is gone",
        CitationIds = [nameof(Citations.Nec440), nameof(Citations.InverterCurve)])]
    public static CalculationResult Of(NameplateInput i)
    {
        var unit = UnitCatalogue.Find(i.Unit) ?? throw new InputException(InputError.NoChoice("unit", i.Unit, UnitCatalogue.All.Select(u => u.Id)));
        var need = Nameplate.Of(unit);
        var result = new ResultBuilder()
            .Step("I", "Running current", "P/(V·pf)", $"{unit.RatedPowerW}/({unit.SupplyVoltageV} × {(unit.IsDc ? 1 : unit.PowerFactorRun)})", need.RunA,
                Current, Citations.Arithmetic)
            .Step("S", "Apparent power", "P/pf", $"{unit.RatedPowerW}/{(unit.IsDc ? 1 : unit.PowerFactorRun)}", need.RunA * unit.SupplyVoltageV, ApparentPower,
                Citations.Arithmetic);
        if (!unit.SingleSpeed)
            result.Step("I_max", "At its highest capacity", "P(x_max)/(V·pf)", $"x {unit.MaxShare:0.###}", need.MostA, Current, Citations.InverterCurve);
        result.Step("MCA", "Minimum circuit ampacity", unit.SingleSpeed ? "1.25·RLA + I_fan" : "1.25·I_max",
            unit.SingleSpeed
                ? $"1.25 × {unit.RlaA} + {unit.FanPowerW}/({AcUnit.FanPowerFactor} × {unit.SupplyVoltageV})"
                : (FormattableString)$"1.25 × {need.MostA:0.###}",
            need.McaA, Current, Citations.Nec440);
        if (need.MocpA is { } mocp)
            result.Step("MOCP", "Largest breaker or fuse", unit.SingleSpeed ? "standard size at most 1.75·RLA + I_fan" : "next standard size above MCA",
                $"MCA {need.McaA:0.##} A", mocp, Current, Citations.Nec440);
        return result.Judge(Nameplate.Estimated(need with { Estimated = true })).Done();
    }
}
