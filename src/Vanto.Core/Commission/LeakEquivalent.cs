using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>Grams of refrigerant a year that a leak seen in a test would be. The truth usually lies between its two scalings (vacuum practice).</summary>
/// <param name="OrificeGYear">By the mass of the molecules: a hole that is short against its width.</param>
/// <param name="LaminarGYear">By viscosity and squares of pressure: a long narrow way.</param>
public readonly record struct LeakEquivalent(double OrificeGYear, double LaminarGYear)
{
    public double LeastGYear => Math.Min(OrificeGYear, LaminarGYear);
    public double MostGYear => Math.Max(OrificeGYear, LaminarGYear);

    private const double SecondsAYear = 3.15576e7;

    /// <summary>Molar masses, kg/mol, and viscosities, Pa·s at 25 °C (from memory, ±10 %).</summary>
    public const double AirKgMol = 0.028965, NitrogenKgMol = 0.028013, AirPaS = 18.4e-6, NitrogenPaS = 17.8e-6;

    /// <summary>Viscosity of a refrigerant's vapour at 25 °C, Pa·s; from memory, ±10 %.</summary>
    public static double VapourPaS(RefrigerantKind kind) => kind switch
    {
        RefrigerantKind.R410A => 13.3e-6,
        RefrigerantKind.R134a => 11.8e-6,
        RefrigerantKind.R290 => 8.2e-6,
        _ => 12.6e-6,
    };

    /// <summary>What a flow seen in a test comes to.</summary>
    /// <param name="flowPaM3s">Of the test gas.</param>
    /// <param name="nitrogen">The test gas is nitrogen, else air.</param>
    /// <param name="highPa">Higher side of the test, absolute.</param>
    /// <param name="lowPa">Lower side.</param>
    /// <param name="ambientPa">Outside when it runs.</param>
    public static LeakEquivalent Of(double flowPaM3s, bool nitrogen, double highPa, double lowPa, RefrigerantKind kind, double kelvin, double ambientPa)
    {
        var (mass, viscosity) = nitrogen ? (NitrogenKgMol, NitrogenPaS) : (AirKgMol, AirPaS);
        var insidePa = Refrigerants.SaturationPressure(kind, dew: true, kelvin);
        var molar = Refrigerants.MolarKg(kind);
        var perYear = molar / (Refrigerants.GasConstant * kelvin) * SecondsAYear * 1000;
        var laminar = flowPaM3s * viscosity / VapourPaS(kind) * (insidePa * insidePa - ambientPa * ambientPa) / (highPa * highPa - lowPa * lowPa);
        var orifice = flowPaM3s * insidePa / highPa * Math.Sqrt(mass / molar);
        return new LeakEquivalent(Math.Max(0, orifice * perYear), Math.Max(0, laminar * perYear));
    }
}
