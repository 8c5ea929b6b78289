using System.Numerics;
using Vanto.Core.Physics;
using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>Shares of the locked-rotor current that a soft starter may take away: enough for the source, not too much for the motor.</summary>
public sealed record ReductionWindow(double Least, double Most)
{
    /// <summary>Its middle, in whole hundredths: farthest from both.</summary>
    public double Middle => Math.Round((Least + Most) / 2, 2);
}

/// <summary>The verdict on a start: what happens with everything on, what must be shed, what else would start.</summary>
public static class StartVerdict
{
    /// <summary>Runs the start; where it fails, looks for the fewest loads to shed.</summary>
    public static StartResult Of(StartCase start, bool trace = false)
    {
        var full = StartSimulation.Run(start, trace);
        if (full.Outcome == StartOutcome.Starts)
            return full;
        var sheddable = start.Neighbours.Where(l => l.Sheddable).ToList();
        var subsets = Enumerable.Range(1, (1 << Math.Min(sheddable.Count, 10)) - 1)
            .Select(bits => sheddable.Where((_, i) => (bits >> i & 1) == 1).ToList())
            .OrderBy(s => s.Count).ThenBy(s => s.Sum(l => l.PowerW));
        foreach (var subset in subsets)
        {
            var without = start with { Neighbours = [.. start.Neighbours.Except(subset)] };
            if (StartSimulation.Starts(without))
                return full with { Outcome = StartOutcome.StartsOnlyIfShed, Shed = [.. subset.Select(l => l.Name)] };
        }
        return full;
    }

    /// <summary>Locked-rotor currents are found to this, A.</summary>
    private const double LraStepA = 0.1;

    /// <summary>Battery ratings are found to this, A.</summary>
    private const double RatingStepA = 0.5;

    /// <summary>Largest locked-rotor current of a motor of the same shape that starts without shedding, A; 0 if none does.</summary>
    public static double LargestLra(StartCase start, Func<double, MotorModel> scaled)
    {
        var lra = start.Motor.LraA;
        var low = Math.Max(3 / lra, 0.5 / start.Motor.RlaA);
        var high = 400 / lra;
        if (!Starts(low))
            return 0;
        if (Starts(high))
            return 400;
        return lra * Roots.LastThat(Starts, low, high, LraStepA / lra);

        bool Starts(double factor) => StartSimulation.Starts(start with { Motor = scaled(factor) });
    }

    /// <summary>Smallest soft-starter reduction that starts: 0 without one, null if none from 0.40 to 0.80 does.</summary>
    public static double? NeededReduction(StartCase start) =>
        StartSimulation.Starts(start with { Remedy = StartRemedy.None }) ? 0 : Window(start)?.Least;

    /// <summary>
    /// Reductions with which it starts, in whole hundredths from 0.40 to 0.80: below them it is too much for the source, above them too little for the
    /// motor. Null where none does.
    /// </summary>
    public static ReductionWindow? Window(StartCase start)
    {
        var highest = Enumerable.Range(40, 41).LastOrDefault(p => ReductionFits(start.Motor, p / 100.0));
        if (highest == 0)
            return null;
        if (start.Starter == SoftStarterModel.Torque && Weak(highest))
        {
            // The start takes longer with every hundredth more, so there is one border to what the motor can do.
            if (Weak(40))
                return null;
            highest = Border(40, highest, p => !Weak(p));
        }
        var some = Enumerable.Range(0, 11).Select(i => highest - 4 * i).Where(p => p >= 40).Cast<int?>().FirstOrDefault(p => Starts(p!.Value));
        if (some is not { } found)
            return null;
        return new ReductionWindow(Border(found, 39, Starts) / 100.0, Border(found, highest + 1, Starts) / 100.0);

        static int Border(int holds, int fails, Func<int, bool> at)
        {
            while (Math.Abs(fails - holds) > 1)
            {
                var middle = (fails + holds) / 2;
                if (at(middle))
                    holds = middle;
                else
                    fails = middle;
            }
            return holds;
        }

        StartCase At(int percent) => start with { Remedy = StartRemedy.SoftStarter, Reduction = percent / 100.0 };
        bool Weak(int percent) => StartSimulation.Run(At(percent), checkRunning: false).Cause == TripCause.SoftStarterTooWeak;
        bool Starts(int percent) => StartSimulation.Starts(At(percent));
    }

    /// <summary>Smallest continuous battery rating with which it starts and runs, A; null if none to 2000 A.</summary>
    public static double? SmallestBatteryRating(StartCase start, Func<double, PowerSource> withRating)
    {
        const double most = 2000;
        return Starts(most) ? RatingStepA + Roots.LastThat(a => !Starts(a), 1, most, RatingStepA) : null;

        bool Starts(double amperes) => StartSimulation.Starts(start with { Source = withRating(amperes) });
    }

    /// <summary>True when a soft starter's limit stays above the running current.</summary>
    public static bool ReductionFits(MotorModel motor, double reduction) => SoftStarter.Fits(motor.LraA, motor.RlaA, reduction);

    /// <summary>A unit without a locked rotor: only running on at its highest power matters.</summary>
    /// <param name="source">The source.</param>
    /// <param name="unitV">Rated volts.</param>
    /// <param name="powerW">Highest power.</param>
    /// <param name="powerFactor">Running.</param>
    /// <param name="neighbours">Other loads.</param>
    /// <param name="lineOhm">Cable.</param>
    public static StartResult OfInverterDriven(PowerSource source, double unitV, double powerW, double powerFactor, IReadOnlyList<NeighbourLoad> neighbours,
        double lineOhm)
    {
        var result = Steady(neighbours);
        if (result.Outcome == StartOutcome.Starts)
            return result;
        foreach (var load in neighbours.Where(l => l.Sheddable).OrderBy(l => l.PowerW))
            if (Steady([.. neighbours.Where(l => l != load)]).Outcome == StartOutcome.Starts)
                return result with { Outcome = StartOutcome.StartsOnlyIfShed, Shed = [load.Name] };
        var essential = neighbours.Where(l => !l.Sheddable).ToList();
        return essential.Count < neighbours.Count && Steady(essential).Outcome == StartOutcome.Starts
            ? result with { Outcome = StartOutcome.StartsOnlyIfShed, Shed = [.. neighbours.Where(l => l.Sheddable).Select(l => l.Name)] }
            : result;

        StartResult Steady(IReadOnlyList<NeighbourLoad> on)
        {
            var motor = SoftClimb.Token(unitV);
            var network = new Network(new StartCase { Motor = motor, Source = source, Line = lineOhm, Neighbours = on });
            var apparent = powerW / powerFactor * new Complex(powerFactor, Math.Sqrt(1 - powerFactor * powerFactor));
            var check = Running.Check(source, unitV, network.AtConstantPower(apparent));
            return new StartResult
            {
                Outcome = check.Holds ? StartOutcome.Starts : StartOutcome.StartsButCannotRun,
                Cause = check.Cause,
                TripS = check.Holds ? null : check.AfterS,
                MaxA = check.SourceA,
                PeakA = Math.Sqrt(2) * check.SourceA,
                MinCompressorV = check.CompressorV,
                RunA = check.SourceA,
                RunCompressorV = check.CompressorV,
            };
        }
    }
}
