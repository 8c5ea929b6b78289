using System.Numerics;
using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>Whether the source carries the unit once it runs.</summary>
internal readonly record struct RunningCheck(double SourceA, double CompressorV, TripCause Cause, double AfterS)
{
    /// <summary>True when nothing ends the run.</summary>
    public bool Holds => Cause == TripCause.None;
}

/// <summary>The check of running on.</summary>
internal static class Running
{
    /// <summary>Compressor at its plate current.</summary>
    public static RunningCheck Check(StartCase start, Network network)
    {
        var motor = start.Motor;
        var factor = motor.PowerFactorRun;
        return Check(start.Source, motor.RatedV, network.AtConstantPower(motor.RatedV * motor.RlaA * new Complex(factor, Math.Sqrt(1 - factor * factor))));
    }

    /// <summary>Any steady load of a source.</summary>
    public static RunningCheck Check(PowerSource source, double ratedV, in NetworkPoint point)
    {
        var (cause, after) = Judge(source, ratedV, point);
        return new RunningCheck(point.SourceA, point.CompressorV, cause, after);
    }

    private static (TripCause Cause, double AfterS) Judge(PowerSource source, double ratedV, in NetworkPoint point)
    {
        if (point.CompressorV < 0.5 * ratedV || double.IsNaN(point.CompressorV))
            return (TripCause.VoltageCollapse, 0);
        if (source.Curve is { } curve)
        {
            var ratio = source.IsEngineLimited ? point.RealW / source.ContinuousW : point.SourceA / source.ContinuousA;
            if (ratio > 1)
                return (source.IsEngineLimited ? TripCause.EngineOverload : TripCause.SourceOverload, curve.AllowedSeconds(ratio));
        }
        if (source.Class == SourceClass.Shore && point.SourceA > source.BreakerA)
            return (TripCause.BreakerThermal, source.BreakerBands().Min.AllowedSeconds(point.SourceA / source.BreakerA));
        return source.Dc is { } side ? JudgeDc(side, point.RealW) : (TripCause.None, 0);
    }

    private static (TripCause Cause, double AfterS) JudgeDc(DcSide side, double acW)
    {
        if (side.Bank.Sag(side.Soc, side.Inverter.DcPower(acW), side.CableOhm) is not { } dc)
            return (TripCause.BatteryCollapse, 0);
        if (dc.CurrentA > side.Bank.ContinuousA)
            return (TripCause.BatteryOverCurrent,
                side.Bank.HasManagementBoard ? BearingCurve.ManagementBoard.AllowedSeconds(dc.CurrentA / side.Bank.ContinuousA) : 0);
        return TripAccumulators.UnderDcCutOff(dc.Voltage, side.Bank.NominalVoltage) ? (TripCause.DcUnderVoltage, 10) : (TripCause.None, 0);
    }
}
