using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>A motor fitted to a measured start: what was taken from the plate is replaced by what was seen.</summary>
/// <param name="LraA">Locked-rotor current that gives the measured current.</param>
/// <param name="StartTimeS">Start time at full voltage that gives the measured duration; the plate's where none was measured.</param>
/// <param name="MaxA">Most current of the fitted model.</param>
/// <param name="Fitted">False where the source folds back and hides what the motor would draw.</param>
public readonly record struct StartFitResult(double LraA, double StartTimeS, double MaxA, bool Fitted);

/// <summary>
/// Fits the motor to a measurement: the locked-rotor current to the highest current, then the start time to how long it flows. RLA stays that of the plate.
/// </summary>
public static class StartFit
{
    private const double Over = 0.5;
    private const double LraToleranceA = 1e-9;
    private const double ShortestS = 0.05;
    private const double LongestS = 1.5;
    private const double TimeToleranceS = 1e-4;

    /// <summary>Fits.</summary>
    /// <param name="start">The start as it was measured, with the plate's motor.</param>
    /// <param name="motor">Motor of a locked-rotor current and a start time.</param>
    /// <param name="lraA">Locked-rotor current of the plate.</param>
    /// <param name="startTimeS">Start time of the plate.</param>
    /// <param name="measuredA">Highest current measured, RMS.</param>
    /// <param name="lastsS">How long the current stayed above half way between most and running; null where only the peak was read.</param>
    public static StartFitResult Of(StartCase start, Func<double, double, MotorModel> motor, double lraA, double startTimeS, double measuredA,
        double? lastsS = null)
    {
        if (start.Remedy == StartRemedy.SoftStarter)
            throw new InputException("start.remedy", "soft starter", "A soft starter hides the motor: measure a start without it.");
        // With its rotor locked, at the first moment, the motor draws most.
        double Most(double lra) => new Network(start with { Motor = motor(lra, startTimeS) }).AtSpeed(0).SourceA;
        var least = AcUnit.LeastLockedRotor * start.Motor.RlaA;
        var (low, high) = (Math.Max(least, 0.3 * lraA), 3 * lraA);
        if (measuredA <= Most(low) || measuredA >= Most(high) - 1e-6 || measuredA >= start.Source.LimitA - 0.01)
            return new StartFitResult(lraA, startTimeS, Most(lraA), false);
        var lra = Roots.OfRising(a => Most(a) - measuredA, low, high, LraToleranceA);
        var time = lastsS is { } lasts ? FitTime(start, t => motor(lra, t), lasts) : startTimeS;
        return new StartFitResult(lra, time, Most(lra), true);
    }

    /// <summary>
    /// How long a traced current stays above half way between its most and where it ends, s; null where it never falls: a flat record, or one that ends
    /// too early.
    /// </summary>
    public static double? Lasts(IReadOnlyList<(double Seconds, double Amperes)> trace)
    {
        var most = trace.Max(p => p.Amperes);
        var level = trace[^1].Amperes + Over * (most - trace[^1].Amperes);
        var above = trace.Where(p => p.Amperes > level).ToList();
        return above.Count == 0 ? null : above[^1].Seconds - above[0].Seconds;
    }

    private static double FitTime(StartCase start, Func<double, MotorModel> motor, double lasts)
    {
        return Roots.LastThat(Shorter, ShortestS, LongestS, TimeToleranceS);

        bool Shorter(double startTimeS)
        {
            var trace = StartSimulation.Run(start with { Motor = motor(startTimeS) }, trace: true, checkRunning: false).Trace;
            return trace.Count > 0 && Lasts([.. trace.Select(m => (m.Seconds, m.SourceA))]) < lasts;
        }
    }
}
