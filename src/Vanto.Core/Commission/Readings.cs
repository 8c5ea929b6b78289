using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>Units that a vacuum is read in.</summary>
public enum VacuumUnit { InHgVacuum, PsiGauge, BarGauge, MPaGauge, KPaGauge, Micron, Torr, MbarAbs, PaAbs }

/// <summary>What a needle really says.</summary>
public static class Vacuum
{
    private const double InHg = 3386.389;
    private const double Psi = 6894.757293168;
    private const double Micron = 101325.0 / 760 / 1000;
    private const double ZeroSlackPa = 1013;

    /// <summary>Ambient pressure at an altitude, Pa (standard atmosphere).</summary>
    public static double AmbientPa(double altitudeM) => MoistAir.Pressure(altitudeM);

    /// <summary>Absolute pressure of a reading, Pa; null with a finding where no gauge can read that here.</summary>
    public static (double? AbsolutePa, Finding? Finding) ToAbsolute(double value, VacuumUnit unit, double ambientPa)
    {
        var gauge = unit switch
        {
            VacuumUnit.InHgVacuum => -Math.Abs(value) * InHg,
            VacuumUnit.PsiGauge => value * Psi,
            VacuumUnit.BarGauge => value * 1e5,
            VacuumUnit.MPaGauge => value * 1e6,
            VacuumUnit.KPaGauge => value * 1e3,
            _ => double.NaN,
        };
        var absolute = unit switch
        {
            VacuumUnit.Micron => value * Micron,
            VacuumUnit.Torr => value * 1000 * Micron,
            VacuumUnit.MbarAbs => value * 100,
            VacuumUnit.PaAbs => value,
            _ => ambientPa + gauge,
        };
        if (absolute > 0)
            return (absolute, null);
        if (absolute > -ZeroSlackPa)
            return (null, Finding.Of("vacuum.gauge-zero", Severity.Caution, $"The needle stands below a perfect vacuum by {-absolute:AbsolutePressure}: the gauge is not zeroed. The pressure is unknown."));
        if (unit == VacuumUnit.PsiGauge && Math.Abs(value) * InHg < ambientPa + InHg)
            return (null, Finding.Of("vacuum.unit-suspect", Severity.Stop, $"No gauge can read below {-ambientPa:GaugePressure} here. Did you mean inHg?"));
        return (null, Finding.Of("vacuum.gauge-or-altitude", Severity.Stop, $"No gauge can read below {-ambientPa:GaugePressure} here: the gauge is not zeroed at this altitude, or the rig's altitude is wrong."));
    }

    /// <summary>Temperature at which water boils at an absolute pressure, °C.</summary>
    public static double WaterBoilsC(double pressurePa) => Roots.Bisect(t => MoistAir.SaturationPressure(t) - pressurePa, -100, 200, 1e-9);

    /// <summary>Plain ten-minute rule for two micron readings taken by hand; common practice.</summary>
    public static (string Code, Severity? Level, bool Passed) PlainDecay(double startMicron, double after10Micron)
    {
        if (startMicron > 500)
            return ("START_TOO_HIGH", Severity.Caution, false);
        if (after10Micron < 0.9 * startMicron)
            return ("READING_ERROR", Severity.Caution, false);
        return after10Micron <= 1000 ? ("PASS", null, true) : after10Micron <= 2000 ? ("RISES", Severity.Caution, false) : ("LEAK_OR_WET", Severity.Stop, false);
    }
}

/// <summary>Verdict of a pressure hold.</summary>
public enum HoldVerdict { Tight, Leaking, HoldTooShort, PressureRose, TemperatureUnsteady, GaugeTooCoarse }

/// <summary>Nitrogen hold, corrected for temperature (Gay-Lussac). Pressures absolute Pa, temperatures K.</summary>
public static class PressureHold
{
    /// <summary>Judges two readings.</summary>
    public static (double ExpectedPa, double ChangePa, double UncertaintyPa, HoldVerdict Verdict, double LeakPaM3S, double SmallestVisiblePaM3S) Judge(
        double p1, double t1, double p2, double t2, double resolutionPa, double temperatureUncertaintyK, double seconds, double volumeM3, double minDwellS = 3600, double acceptedShare = 0.01, double repeatabilityPa = 0)
    {
        var change = p2 * t1 / t2 - p1;
        var temperaturePart = 2 * Math.Pow(p1 * temperatureUncertaintyK / t1, 2);
        var variance = resolutionPa * resolutionPa / 6 + 2 * repeatabilityPa * repeatabilityPa + temperaturePart;
        var uncertainty = 2 * Math.Sqrt(variance);
        var verdict = change < -uncertainty ? HoldVerdict.Leaking
            : seconds < minDwellS ? HoldVerdict.HoldTooShort
            : change > uncertainty ? HoldVerdict.PressureRose
            : uncertainty > acceptedShare * p1 ? (temperaturePart > variance / 2 ? HoldVerdict.TemperatureUnsteady : HoldVerdict.GaugeTooCoarse)
            : HoldVerdict.Tight;
        return (p1 * t2 / t1, change, uncertainty, verdict, change < 0 ? -volumeM3 * change / seconds : 0, volumeM3 * uncertainty / seconds);
    }
}

/// <summary>Torque with a crowfoot.</summary>
public static class Crowfoot
{
    /// <summary>Wrench setting in N·m: the crowfoot lengthens the wrench.</summary>
    public static double Setting(double wantedNm, double leverM, double crowfootM, double angleDeg)
    {
        var reach = leverM + crowfootM * Math.Cos(angleDeg * Math.PI / 180);
        if (reach <= 0)
            throw new InputException("crowfootM", Phrase.Of($"{crowfootM:SmallLength}"), Phrase.Of($"the crowfoot folds back past the wrench's grip"));
        return wantedNm * leverM / reach;
    }
}

/// <summary>Refrigerants with a verified saturation line.</summary>
public enum RefrigerantKind { [Called("R-32")] R32, [Called("R-134a")] R134a, [Called("R-290")] R290, [Called("R-410A")] R410A, [Called("R-407C")] R407C }

/// <summary>Saturation of refrigerants: ln(p/pc) = Tc/T Σ N θ^t, from memory of the ancillary equations published with the reference equations of state.</summary>
public static class Refrigerants
{
    private sealed record Line(double CriticalK, double CriticalPa, double[] N, double[] T);

    private static readonly Dictionary<(RefrigerantKind, bool Dew), Line> Lines = new()
    {
        [(RefrigerantKind.R32, true)] = new(351.255, 5782e3, [-7.4883, 1.9697, -1.7496, -4.0224, 1.5524], [1, 1.5, 2.2, 4.8, 6.2]),
        [(RefrigerantKind.R134a, true)] = new(374.21, 4059.28e3, [-7.7513, 2.9263, -2.6622, -3.9711], [1, 1.5, 1.9, 4.25]),
        [(RefrigerantKind.R290, true)] = new(369.89, 4251.2e3, [-6.7722, 1.6938, -1.3341, -3.1876, 0.94937], [1, 1.5, 2.2, 4.8, 6.2]),
        [(RefrigerantKind.R410A, false)] = new(344.494, 4901.2e3, [-7.2818, 2.5093, -3.2695, -2.8022], [1, 1.8, 2.4, 4.9]),
        [(RefrigerantKind.R410A, true)] = new(344.494, 4901.2e3, [-7.4411, 1.9883, -2.4925, -3.2633], [1, 1.6, 2.4, 5.0]),
        [(RefrigerantKind.R407C, false)] = new(359.345, 4631.7e3, [0.48722, -6.6959, -1.4165, -2.5109], [0.54, 0.925, 2.7, 4.7]),
        [(RefrigerantKind.R407C, true)] = new(359.345, 4631.7e3, [-0.086077, -6.6364, -2.4648, -3.4776], [0.4, 0.965, 3.1, 5.0]),
    };

    /// <summary>Critical temperature, K.</summary>
    public static double CriticalK(RefrigerantKind kind) => LineOf(kind, true).CriticalK;

    /// <summary>Saturation pressure, Pa absolute, from 200 K to below the critical point.</summary>
    public static double SaturationPressure(RefrigerantKind kind, bool dew, double kelvin)
    {
        var line = LineOf(kind, dew);
        var theta = 1 - kelvin / line.CriticalK;
        var sum = 0.0;
        for (var i = 0; i < line.N.Length; i++)
            sum += line.N[i] * Math.Pow(theta, line.T[i]);
        return line.CriticalPa * Math.Exp(line.CriticalK / kelvin * sum);
    }

    /// <summary>Saturation temperature, K.</summary>
    public static double SaturationTemperature(RefrigerantKind kind, bool dew, double pressurePa) =>
        Roots.Bisect(t => SaturationPressure(kind, dew, t) - pressurePa, 200, CriticalK(kind), 1e-9);

    private static Line LineOf(RefrigerantKind kind, bool dew) => Lines.TryGetValue((kind, dew), out var line) ? line : Lines[(kind, true)];
}
