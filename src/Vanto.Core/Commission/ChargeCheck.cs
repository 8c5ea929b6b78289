using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>What pressures and line temperatures say of the charge. Gauge pressures Pa, temperatures °C.</summary>
public static class ChargeCheck
{
    /// <summary>Vapour over its dew point, K: the gas line in cooling.</summary>
    public static double Superheat(RefrigerantKind kind, double lineC, double gaugePa, double ambientPa) =>
        lineC + 273.15 - Refrigerants.SaturationTemperature(kind, dew: true, gaugePa + ambientPa);

    /// <summary>Liquid under its bubble point, K.</summary>
    public static double Subcooling(RefrigerantKind kind, double lineC, double gaugePa, double ambientPa) =>
        Refrigerants.SaturationTemperature(kind, dew: false, gaugePa + ambientPa) - lineC - 273.15;

    /// <summary>Superheat that a fixed orifice should give: a rule widely printed, from memory; K.</summary>
    public static double FixedOrificeTarget(double insideWetC, double outdoorC)
    {
        static double F(double c) => 1.8 * c + 32;
        return (3 * F(insideWetC) - 80 - F(outdoorC)) / 2 / 1.8;
    }

    /// <summary>Below it the charge cannot be judged by superheat in this weather, K.</summary>
    public const double LeastTargetK = 2.8;

    /// <summary>Gauge pressure of a unit at rest whose charge still has liquid in it.</summary>
    public static double AtRestPa(RefrigerantKind kind, double ambientC, double ambientPa) =>
        Refrigerants.SaturationPressure(kind, dew: true, ambientC + 273.15) - ambientPa;

    /// <summary>Share by which a pressure at rest may differ; common practice.</summary>
    public const double AtRestShare = 0.05;

    /// <summary>Refrigerant left in a circuit as gas, kg (ideal gas).</summary>
    public static double ResidualKg(RefrigerantKind kind, double gaugePa, double kelvin, double volumeM3, double ambientPa) =>
        (gaugePa + ambientPa) * volumeM3 * Refrigerants.MolarKg(kind) / (Refrigerants.GasConstant * kelvin);

    /// <summary>More charge for pipe beyond what the unit comes charged for, kg; a short line is not bled.</summary>
    public static double AddedKg(double lengthM, double freeM, double gramsPerM) => gramsPerM * Math.Max(0, lengthM - freeM) / 1000;

    /// <summary>Liquid that a metre of pipe holds at 40 °C, g/m; densities from memory, ±1 %.</summary>
    public static double LiquidGm(RefrigerantKind kind, double boreM) => Math.PI / 4 * boreM * boreM * 1000 * kind switch
    {
        RefrigerantKind.R410A => 975,
        RefrigerantKind.R32 => 893,
        RefrigerantKind.R134a => 1147,
        RefrigerantKind.R290 => 467,
        _ => 1065,
    };

    /// <summary>Seconds that a detector takes round a nut.</summary>
    public static double ScanS(double nutM, int passes, double speedMs) => passes * Math.PI * nutM / speedMs;
}
