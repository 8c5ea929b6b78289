using System.Numerics;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>What helps the compressor to start.</summary>
public enum StartRemedy { [Called("nothing")] None, [Called("soft starter")] SoftStarter, [Called("hard-start kit")] HardStartKit }

/// <summary>How a soft starter is followed.</summary>
public enum SoftStarterModel
{
    /// <summary>It holds a current; the motor's torque decides when speed is reached, if at all.</summary>
    [Called("by the motor's torque")] Torque,

    /// <summary>Its current over time is given; the motor is taken to follow.</summary>
    [Called("by a given current")] Prescribed,
}

/// <summary>One start to be simulated.</summary>
public sealed record StartCase
{
    public required MotorModel Motor { get; init; }
    public required PowerSource Source { get; init; }
    public StartRemedy Remedy { get; init; }

    /// <summary>Share of the locked-rotor current that a soft starter takes away, 0.40 to 0.80.</summary>
    public double Reduction { get; init; } = 0.65;

    /// <summary>How the soft starter is followed.</summary>
    public SoftStarterModel Starter { get; init; }

    /// <summary>Seconds after which the soft starter gives up.</summary>
    public double StarterLimitS { get; init; } = StartSimulation.LongestS;

    /// <summary>Cable from the source to the compressor, Ω.</summary>
    public Complex Line { get; init; } = new(0.05, 0);
    public IReadOnlyList<NeighbourLoad> Neighbours { get; init; } = [];

    /// <summary>Seconds since the compressor stopped.</summary>
    public double SecondsOff { get; init; } = 600;
}

/// <summary>One moment of the start: RMS amperes and volts.</summary>
public readonly record struct StartMoment
{
    public required double Seconds { get; init; }
    public required double Speed { get; init; }
    public required double SourceA { get; init; }
    public required double CompressorA { get; init; }
    public required double SourceV { get; init; }
    public required double CompressorV { get; init; }
    public required double RealW { get; init; }
    public required double DcV { get; init; }
    public required double DcA { get; init; }
}

/// <summary>How a start ended.</summary>
public enum StartOutcome { Starts, StartsOnlyIfShed, StartsButCannotRun, Stalls, TripsDuringStart }

/// <summary>Result of a start. Times in s, amperes RMS but the peak.</summary>
public sealed record StartResult
{
    public StartOutcome Outcome { get; init; }
    public TripCause Cause { get; init; }
    public double? TripS { get; init; }
    public double? StartS { get; init; }
    public double MaxA { get; init; }
    public double PeakA { get; init; }
    public double MinCompressorV { get; init; }

    /// <summary>Largest share of what the source (or the breaker at its soonest) bears that the start uses; 1 trips.</summary>
    public double SurgeUsed { get; init; }

    /// <summary>The same for the battery's management board.</summary>
    public double BatteryUsed { get; init; }
    public double RunA { get; init; }
    public double RunCompressorV { get; init; }
    public double? MinDcV { get; init; }
    public double? MaxDcA { get; init; }
    public double I2T { get; init; }
    public bool BreakerMayTrip { get; init; }
    public IReadOnlyList<string> Shed { get; init; } = [];
    public IReadOnlyList<StartMoment> Trace { get; init; } = [];
}

/// <summary>
/// The transient of a start in 0.5 ms steps with everything that can trip, then the check of running on.
/// </summary>
public static class StartSimulation
{
    internal const double StepS = 0.0005;

    /// <summary>A compressor that is not at speed by then stalls, and a soft starter gives up unless it is set otherwise; common practice.</summary>
    public const double LongestS = 2;
    private const double AfterS = 0.1;
    private const double SoftRampS = 0.15;
    private const double SoftHoldS = 0.25;
    private const double SoftDecayS = 0.06;
    private const double SoftKick = 0.5;

    /// <summary>Time after which a soft starter whose current is given has handed over, s.</summary>
    public const double SoftStartS = SoftRampS + SoftHoldS + 3 * SoftDecayS;

    /// <summary>Current that a soft starter lets through at a time where it is given, A.</summary>
    public static double SoftCurrent(double seconds, double lraA, double rlaA, double reduction)
    {
        var limit = (1 - reduction) * lraA;
        if (seconds < SoftRampS)
            return limit * (SoftKick + (1 - SoftKick) * seconds / SoftRampS);
        return seconds < SoftRampS + SoftHoldS ? limit : rlaA + (limit - rlaA) * Math.Exp(-(seconds - SoftRampS - SoftHoldS) / SoftDecayS);
    }

    /// <summary>True when it starts and runs on with everything on; running on, the cheaper question, is asked first.</summary>
    public static bool Starts(StartCase start) => Running.Check(start, new Network(start)).Holds && Run(start).Outcome == StartOutcome.Starts;

    /// <summary>Runs one start, without trying to shed.</summary>
    /// <param name="start">The case.</param>
    /// <param name="trace">True keeps the moments for drawing.</param>
    /// <param name="checkRunning">False leaves the check of running on away.</param>
    public static StartResult Run(StartCase start, bool trace = false, bool checkRunning = true)
    {
        var soft = start.Remedy == StartRemedy.SoftStarter;
        if (soft && start.SecondsOff < 180)
            return new StartResult { Outcome = StartOutcome.Stalls, Cause = TripCause.SoftStarterWaits };
        var moments = trace ? new List<StartMoment>(1500) : null;
        var trips = new TripAccumulators(start);
        var network = new Network(start);
        var running = Running.Check(start, network);
        var motor = start.Motor;
        var prescribed = soft && start.Starter == SoftStarterModel.Prescribed;
        var limitA = (1 - start.Reduction) * motor.LraA;
        NetworkPoint? held = null;
        var longestS = soft ? start.StarterLimitS : LongestS;
        var startFactor = start.Remedy switch
        {
            StartRemedy.HardStartKit => MotorModel.HardStart,
            StartRemedy.SoftStarter => MotorModel.SoftStart,
            _ => MotorModel.PlainStart,
        };
        double speed = 0, maxA = 0, minV = double.PositiveInfinity, i2t = 0;
        double? startS = null;
        var target = 0.95 * motor.RunSpeed;
        for (var i = 0; ; i++)
        {
            var time = i * StepS;
            if (startS is { } done && time > done + AfterS - StepS / 2 || startS is null && time >= longestS)
                break;
            NetworkPoint point;
            double motorV;
            // While the starter holds its current, the source sees the same at every step; only the motor's own voltage grows with its speed.
            if (held is { } still && limitA / motor.Admittance(speed).Magnitude is var atLimit && atLimit < still.CompressorV)
            {
                (point, motorV) = (still, atLimit);
            }
            else
            {
                point = prescribed ? network.AtSoftCurrent(SoftCurrent(time, motor.LraA, motor.RlaA, start.Reduction)) : network.AtSpeed(speed);
                motorV = point.CompressorV;
                if (soft && !prescribed && point.CompressorA > limitA)
                {
                    held = point = network.AtSoftCurrent(limitA);
                    motorV = Math.Min(point.CompressorV, limitA / motor.Admittance(speed).Magnitude);
                }
            }
            maxA = Math.Max(maxA, point.SourceA);
            minV = Math.Min(minV, point.CompressorV);
            i2t += point.CompressorA * point.CompressorA * StepS;
            var dc = trips.Add(point, time, soft);
            moments?.Add(new StartMoment
            {
                Seconds = time,
                Speed = speed,
                SourceA = point.SourceA,
                CompressorA = point.CompressorA,
                SourceV = point.SourceV,
                CompressorV = point.CompressorV,
                RealW = point.RealW,
                DcV = dc.Volts,
                DcA = dc.Amps,
            });
            if (trips.Cause != TripCause.None)
                return Finish(StartOutcome.TripsDuringStart, trips.Cause, time + StepS);
            if (prescribed)
            {
                if (startS is null && time + StepS >= SoftStartS - 1e-9)
                    startS = SoftStartS;
                continue;
            }
            var half = Math.Max(0, speed + 0.5 * StepS * Acceleration(motorV, speed));
            speed = Math.Clamp(speed + StepS * Acceleration(motorV, half), 0, 1 - 1e-6);
            if (startS is null && speed >= target)
                startS = time + StepS;
        }
        if (startS is null)
            return Finish(StartOutcome.Stalls, soft ? TripCause.SoftStarterTooWeak : TripCause.NoSpeed, null);
        if (trips.MagneticTrip(PeakA()) == true)
            return Finish(StartOutcome.TripsDuringStart, TripCause.BreakerMagnetic, 0.010);
        if (!checkRunning)
            return Finish(StartOutcome.Starts, TripCause.None, null);
        return Finish(running.Holds ? StartOutcome.Starts : StartOutcome.StartsButCannotRun, running.Cause, running.Holds ? null : running.AfterS);

        double Acceleration(double volts, double n) => (motor.Torque(volts, n, startFactor) - motor.LoadTorque(n, start.SecondsOff)) / motor.InertiaWs;

        double PeakA()
        {
            if (soft)
                return Math.Sqrt(2) * maxA;
            var loop = start.Source.Impedance + start.Line + 1 / motor.Admittance(0);
            var kappa = 1.02 + 0.98 * Math.Exp(-3 * loop.Real / loop.Imaginary);
            return Math.Min(kappa * Math.Sqrt(2) * maxA, Math.Sqrt(2) * start.Source.LimitA);
        }

        StartResult Finish(StartOutcome outcome, TripCause cause, double? tripS)
        {
            return new StartResult
            {
                Outcome = outcome,
                Cause = cause,
                TripS = tripS,
                StartS = startS,
                MaxA = maxA,
                PeakA = PeakA(),
                MinCompressorV = minV,
                SurgeUsed = trips.SurgeUsed,
                BatteryUsed = trips.BatteryUsed,
                RunA = running.SourceA,
                RunCompressorV = running.CompressorV,
                MinDcV = trips.MinDcV,
                MaxDcA = trips.MaxDcA,
                I2T = i2t,
                BreakerMayTrip = trips.MayTrip || trips.MagneticTrip(PeakA()) is not null,
                Trace = moments ?? [],
            };
        }
    }
}
