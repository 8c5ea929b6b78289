using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Physics;

/// <summary>Units that a vacuum is read in.</summary>
public enum VacuumUnit
{
    [Called("inHg")] InHgVacuum, [Called("psi")] PsiGauge, [Called("bar")] BarGauge, [Called("MPa")] MPaGauge, [Called("kPa")] KPaGauge,
    [Called("micron")] Micron, [Called("Torr")] Torr, [Called("mbar absolute")] MbarAbs, [Called("Pa absolute")] PaAbs,
}

/// <summary>What a needle really says.</summary>
public static class VacuumReading
{
    /// <summary>Below nothing by less than this a gauge is off its zero; by more its unit or its place is wrong. Common practice.</summary>
    private const double ZeroSlackPa = 1013;

    /// <summary>True for a gauge that reads from the air's pressure down: half a mark of it hides all that dryness is judged by.</summary>
    public static bool FromAir(VacuumUnit unit) => unit < VacuumUnit.Micron;

    /// <summary>Absolute pressure of a reading, Pa; null with a finding where no gauge can read that here.</summary>
    public static (double? AbsolutePa, Finding? Finding) ToAbsolute(double value, VacuumUnit unit, double ambientPa)
    {
        var gauge = unit switch
        {
            VacuumUnit.InHgVacuum => -Math.Abs(value) * QuantityTable.PascalsPerInchOfMercury,
            VacuumUnit.PsiGauge => value * QuantityTable.PascalsPerPsi,
            VacuumUnit.BarGauge => value * 1e5,
            VacuumUnit.MPaGauge => value * 1e6,
            VacuumUnit.KPaGauge => value * 1e3,
            _ => double.NaN,
        };
        var absolute = unit switch
        {
            VacuumUnit.Micron => value * QuantityTable.PascalsPerMicron,
            VacuumUnit.Torr => value * 1000 * QuantityTable.PascalsPerMicron,
            VacuumUnit.MbarAbs => value * 100,
            VacuumUnit.PaAbs => value,
            _ => ambientPa + gauge,
        };
        if (absolute > 0)
            return (absolute, null);
        if (absolute > -ZeroSlackPa)
            return (null, Finding.Of(FindingCode.VacuumGaugeZero, Severity.Caution,
                $"The needle stands below a perfect vacuum by {-absolute:AbsolutePressure}: the gauge is not zeroed. The pressure is unknown."));
        if (unit == VacuumUnit.PsiGauge && Math.Abs(value) * QuantityTable.PascalsPerInchOfMercury < ambientPa + QuantityTable.PascalsPerInchOfMercury)
            return (null,
                Finding.Of(FindingCode.VacuumUnitSuspect, Severity.Stop, $"No gauge can read below {-ambientPa:GaugePressure} here. Did you mean inHg?"));
        return (null, Finding.Of(FindingCode.VacuumGaugeOrAltitude, Severity.Stop,
            $"No gauge can read below {-ambientPa:GaugePressure} here: the gauge is not zeroed at this altitude, or the rig's altitude is wrong."));
    }

    /// <summary>Temperature at which water boils at an absolute pressure, °C.</summary>
    public static double WaterBoilsC(double pressurePa) => Roots.OfRising(t => MoistAir.SaturationPressure(t) - pressurePa, -100, 200, 1e-9);
}
