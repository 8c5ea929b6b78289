using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Steps before power goes on, in their order; each unlocks the next.</summary>
public enum PowerStep
{
    [Called("looked over, every screw snug and counted")] Visual, [Called("isolated, locked, tagged, key in the pocket")] Isolated,
    [Called("proved dead")] ProvedDead, [Called("earth goes through")] Continuity, [Called("polarity and the cable between")] Polarity,
    [Called("insulation, electronics disconnected")] Insulation, [Called("reconnected, screws tried again")] Reconnected,
    [Called("source alone on")] Source, [Called("residual-current device trips")] Residual, [Called("unit's breaker closed")] Unit,
    [Called("pump's alarm stops the unit")] Alarm,
}

/// <summary>What a step came to.</summary>
public enum StepState { [Called("open")] Open, [Called("passed")] Passed, [Called("failed")] Failed, [Called("does not apply")] NotApplicable }

/// <summary>The order of steps before power.</summary>
public static class TestSequence
{
    /// <summary>True where every earlier step is passed or does not apply.</summary>
    public static bool CanRun(IReadOnlyDictionary<PowerStep, StepState> states, PowerStep step) =>
        Enum.GetValues<PowerStep>().Where(s => s < step).All(s => states.GetValueOrDefault(s) is StepState.Passed or StepState.NotApplicable
            && (s != PowerStep.ProvedDead || states.GetValueOrDefault(s) == StepState.Passed));

    /// <summary>After a cover was opened again: isolating and proving dead stand open.</summary>
    public static IReadOnlyDictionary<PowerStep, StepState> Opened(IReadOnlyDictionary<PowerStep, StepState> states) =>
        states.Where(s => s.Key is not (PowerStep.Isolated or PowerStep.ProvedDead)).ToDictionary(s => s.Key, s => s.Value);
}

/// <summary>Limits of the tests before power.</summary>
public static class TestLimits
{
    /// <summary>A pair counts as dead up to so many volts; the product's own choice.</summary>
    public const double DeadV = 5;

    /// <summary>Capacitors of an outdoor board count as empty up to so many volts; common practice.</summary>
    public const double DcLinkV = 30;

    private const double JointsOhm = 0.02;
    private const double MoreOhm = 0.05;

    /// <summary>An earth of more than this is none, Ω; common practice.</summary>
    public const double EarthMostOhm = 1.0;

    /// <summary>Earth conductor as it should measure, Ω, and where a caution begins.</summary>
    public static (double Expected, double Caution) Earth(Conductor wire, double metres)
    {
        var expected = wire.OhmM(20) * metres + JointsOhm;
        return (expected, expected + MoreOhm);
    }

    /// <summary>Loop of an earth fault, Ω: as a rule and as it may measure cold (two thirds); IEC 60364-6, recalled.</summary>
    public static (double Limit, double Measured) Loop(double volts, BreakerCurve curve, double ratingA)
    {
        var limit = volts / (Protection.AtOnce(curve).Upper * ratingA);
        return (limit, limit * 2 / 3);
    }

    /// <summary>Loop where only a residual-current device opens, Ω: 50 V over its current.</summary>
    public static double ResidualLoop(double trips) => 50 / trips;

    /// <summary>Test volts and least insulation, Ω; IEC 60364-6, table 6.1, recalled.</summary>
    public static (double TestV, double LeastOhm) Insulation(double nominalV, bool extraLow) =>
        extraLow ? (250, 0.5e6) : nominalV <= 500 ? (500, 1e6) : (1000, 1e6);

    /// <summary>Longest time of a residual-current device, s, at so many times its current; IEC 61008, recalled.</summary>
    public static double ResidualS(double times) => times >= 5 ? 0.040 : times >= 2 ? 0.150 : 0.300;

    /// <summary>Longest time of a ground-fault interrupter, s: (20/I)^1.43, I in mA; UL 943, recalled.</summary>
    public static double GroundFaultS(double milliamps) => Math.Pow(20 / milliamps, 1.43);

    /// <summary>Circuits measured together, Ω.</summary>
    public static double Together(IEnumerable<double> ohms) => 1 / ohms.Sum(o => 1 / o);
}

/// <summary>Readings before power judged in their order.</summary>
public static class PowerTests
{
    private const double TesterLiveV = 5;
    private const double StopsWithinMin = 5;
    private const double RunShare = 0.10;

    /// <summary>Residual-current devices of this job trip at, A.</summary>
    private const double TripsA = 0.030;

    /// <summary>Readings that this rig asks for.</summary>
    public static IReadOnlyList<string> Asks(WiringSetting s) =>
    [
        .. PowerTestRecord.Kind.Fields.Select(f => f.Path[1..]).Where(f => f switch
        {
            "linkV" => !s.Unit.SingleSpeed,
            "loopOhm" => s.Metric && !s.Unit.IsDc,
            "residualS" => s.Residual != ResidualKind.None && !s.Unit.IsDc,
            "alarmMin" => s.Pump,
            _ => true,
        }),
    ];

    /// <summary>Everything that can make the unit live.</summary>
    private static List<string> Sources(WiringSetting s)
    {
        var all = new List<string>();
        if (!s.Unit.IsDc)
            all.Add(s.Base == Mount.RigBase.Building ? "mains" : "shore");
        if (s.Sources.Battery.Fitted)
            all.Add("battery");
        if (s.HasInverter && !s.Unit.IsDc)
            all.Add("inverter");
        if (s.Sources.Generator.Fitted && !s.Unit.IsDc)
            all.Add("generator");
        if (s.Sources.Modules.Count > 0)
            all.Add("modules");
        return all;
    }

    /// <summary>Every step with its limit and what was read; the newest record that is not corrected counts.</summary>
    public static IReadOnlyList<PowerTestRow> Of(WiringSetting s, BranchPlan branch, IReadOnlyList<PowerTestRecord> records)
    {
        var corrected = records.Select(r => r.Corrects).OfType<Guid>().ToHashSet();
        var r = records.LastOrDefault(x => !corrected.Contains(x.Id))?.Readings;
        var asks = Asks(s);
        var rows = new List<PowerTestRow>();
        var states = new Dictionary<PowerStep, StepState>();
        void Row(PowerStep step, StepState state, Phrase limit, Phrase? measured, Phrase words, bool doubtful = false)
        {
            var locked = !TestSequence.CanRun(states, step);
            states[step] = state;
            rows.Add(new PowerTestRow(step, Calls.Name(step), state, locked, limit, measured ?? Phrase.Empty, words) { Doubtful = doubtful });
        }

        Phrase? Number(int? count) => count is { } n ? Phrase.Of($"{n:Count}") : null;

        StepState By(double? value, Func<double, bool> good) => value is not { } v ? StepState.Open : good(v) ? StepState.Passed : StepState.Failed;
        Row(PowerStep.Visual, By(r?.Screws, v => v > 0), Phrase.Of($"every screw counted"), Number(r?.Screws),
            Phrase.Of($"Loose lug screws fall out: snug and count."));
        var sources = Sources(s);
        Row(PowerStep.Isolated, By(r?.Locked, v => v >= sources.Count), Phrase.Of($"all {sources.Count:Count}: {string.Join(", ", sources)}"),
            Number(r?.Locked), Phrase.Of($"Each with a lock and a tag, the key in the pocket."));
        var proved = r is not { BeforeV: { } before, DeadV: { } dead } ? StepState.Open
            : before <= TesterLiveV || r.AfterV is <= TesterLiveV ? StepState.Failed
            : r.AfterV is null ? StepState.Open
            : dead <= TestLimits.DeadV && (r.LinkV ?? 0) <= TestLimits.DcLinkV ? StepState.Passed : StepState.Failed;
        Row(PowerStep.ProvedDead, proved, Phrase.Of($"all pairs at most {TestLimits.DeadV:Voltage}, tester proved before and after"),
            r?.DeadV is { } highest ? Phrase.Of($"{highest:Voltage}") : null,
            proved == StepState.Failed ? r!.DeadV > TestLimits.DeadV ? Phrase.Of($"Not dead: stop.")
                : r.LinkV > TestLimits.DcLinkV
                    ? Phrase.Of($"The board's capacitors still hold {r.LinkV ?? 0:Voltage}: wait.") : Phrase.Of($"The tester is not proved.")
            : Phrase.Of($"Live to neutral, live to earth, neutral to earth; at DC plus and minus, each to earth."));
        var earth = branch.Wire is { } wire ? TestLimits.Earth(Conductor.Of(wire.Size), branch.WayM) : (0, 0);
        var high = r?.EarthOhm > earth.Item2;
        Row(PowerStep.Continuity, By(r?.EarthOhm, v => v <= TestLimits.EarthMostOhm), Phrase.Of($"about {earth.Item1:Resistance}; never above "
            + $"{TestLimits.EarthMostOhm:Resistance}"), r?.EarthOhm is { } e ? Phrase.Of($"{e:Resistance}") : null,
            high ? Phrase.Of($"more than this wire has: a poor joint.") : Phrase.Of($"From the board's earth bar to the unit's case."),
            high && r!.EarthOhm <= TestLimits.EarthMostOhm);
        var ends = s.BetweenM is null ? null : EndsCompared.Of([.. s.Design.Between.Terminals.Select(t => new Landed(t.Label, t.Role, t.Head, t.Outdoor))]);
        var astray = ends is { Worst: not CoreFault.None };
        Row(PowerStep.Polarity, astray ? StepState.Failed : By(r?.Polarity, v => v > 0), Phrase.Of($"switches in the live, both ends alike"),
            Number(r?.Polarity), astray ? Phrase.Of($"Cores between the units disagree.") : Phrase.Of($"By colour and label at both ends."));
        var (testV, least) = TestLimits.Insulation(branch.Volts, s.Unit.IsDc && branch.Volts <= 50);
        var low = r?.InsulationOhm >= least && r.InsulationOhm < 2 * least;
        Row(PowerStep.Insulation, By(r?.InsulationOhm, v => v >= least), Phrase.Of($"at least {least / 1e6:Number} MΩ at {testV:Voltage}"),
            r?.InsulationOhm is { } i ? Phrase.Of($"{i / 1e6:Number} MΩ") : null,
            low ? Phrase.Of($"low: damp or a nick.") : Phrase.Of($"Electronics disconnected; live and neutral together to earth; surge arresters out."), low);
        Row(PowerStep.Reconnected, By(r?.Again, v => v > 0), Phrase.Of($"second round of the screws"), Number(r?.Again),
            Phrase.Of($"As the photograph shows."));
        var loop = !asks.Contains("loopOhm") ? (double?)null : s.Residual != ResidualKind.None ? TestLimits.ResidualLoop(TripsA)
            : TestLimits.Loop(branch.Volts, s.Design.Branch.Curve, branch.DeviceA).Measured;
        var source = By(r?.SourceV, v => Math.Abs(v / branch.Volts - 1) <= RunShare);
        var state = r?.LoopOhm > loop ? StepState.Failed
            : loop is not null && r?.LoopOhm is null && source == StepState.Passed ? StepState.Open : source;
        Row(PowerStep.Source, state,
            loop is { } most ? Phrase.Of($"{branch.Volts:Voltage} ± 10 %, earth loop at most {most:Resistance}")
                : Phrase.Of($"{branch.Volts:Voltage} ± 10 %"),
            r?.LoopOhm > loop ? Phrase.Of($"{r!.LoopOhm ?? 0:Resistance}") : r?.SourceV is { } alone ? Phrase.Of($"{alone:Voltage}") : null,
            r?.LoopOhm > loop ? Phrase.Of($"The loop is too long for the device to open: earth or neutral is poor.")
                : Phrase.Of($"The three readings of a pedestal stand at bonding."));
        Row(PowerStep.Residual, !asks.Contains("residualS") ? StepState.NotApplicable : By(r?.ResidualS, v => v <= TestLimits.ResidualS(1)),
            Phrase.Of($"within {TestLimits.ResidualS(1):Seconds} at its current; not at half of it"), r?.ResidualS is { } t ? Phrase.Of($"{t:Seconds}") : null,
            Phrase.Of($"The button alone proves the button."));
        Row(PowerStep.Unit, By(r?.RunV, v => Math.Abs(v / branch.Volts - 1) <= RunShare), Phrase.Of($"{branch.Volts:Voltage} ± 10 %"),
            r?.RunV is { } volts ? Phrase.Of($"{volts:Voltage}") : null, Phrase.Of($"Running; the amperes go to Commission."));
        Row(PowerStep.Alarm, !s.Pump ? StepState.NotApplicable : By(r?.AlarmMin, v => v <= StopsWithinMin),
            Phrase.Of($"within {StopsWithinMin:Number} minutes"), r?.AlarmMin is { } minutes ? Phrase.Of($"{minutes:Number}") : null,
            Phrase.Of($"Lift the float: the compressor must stop."));
        return rows;
    }
}
