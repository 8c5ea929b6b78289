using Vanto.Core.Findings;
using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>Starts tried beside the one asked: with other help, and with what may be on beside the unit.</summary>
internal static class StartTrials
{
    public static List<StartTrial> Helped(StartCase start, StartDesign design, MotorModel motor, ReductionWindow? window)
    {
        var soft = StartVerdict.ReductionFits(motor, design.Reduction) ? design.Reduction : 0.40;
        StartTrial Helped(string id, Phrase words, StartRemedy remedy, double reduction, DesignEdit edit) =>
            Trial(id, words, StartVerdict.Of(start with { Remedy = remedy, Reduction = reduction }), edit);
        DesignEdit With(StartRemedy remedy) => DesignEdit.Of(design, d => d with { Remedy = remedy });
        var trials = new List<StartTrial>
        {
            Helped("none", Phrase.Of($"nothing"), StartRemedy.None, start.Reduction, With(StartRemedy.None)),
            Helped("soft", Phrase.Of($"soft starter, {soft:Fraction} less"), StartRemedy.SoftStarter, soft, Softened(design, soft)),
            Helped("kit", Phrase.Of($"hard-start kit"), StartRemedy.HardStartKit, start.Reduction, With(StartRemedy.HardStartKit)),
        };
        if (window is { } starts && Math.Abs(starts.Middle - soft) > 0.001)
            trials.Insert(2, Helped("soft-middle",
                Phrase.Of($"soft starter, {starts.Middle:Fraction} less: the middle of what starts, {starts.Least:Fraction} to {starts.Most:Fraction}"),
                StartRemedy.SoftStarter, starts.Middle, Softened(design, starts.Middle)));
        return trials;
    }

    public static DesignEdit Softened(StartDesign design, double reduction) =>
        DesignEdit.Of(design, d => d with { Remedy = StartRemedy.SoftStarter, Reduction = reduction });

    public static List<StartTrial> Stacking(StartCase start, NeighbourLoad fan, List<NeighbourLoad> neighbours)
    {
        StartTrial Beside(string id, Phrase words, params NeighbourLoad[] on) =>
            Trial(id, words, StartSimulation.Run(start with { Neighbours = [fan, .. on] }), DesignEdit.None);
        var trials = new List<StartTrial> { Beside("alone", Phrase.Of($"the unit alone")) };
        trials.AddRange(neighbours.Select(n => Beside(n.Name, Phrase.Of($"with {n.Name}, {n.PowerW:ElectricPower}"), n)));
        if (neighbours.Count > 1)
            trials.Add(Beside("all", Phrase.Of($"with all of them, {neighbours.Sum(n => n.PowerW):ElectricPower}"), [.. neighbours]));
        return trials;
    }

    private static StartTrial Trial(string id, Phrase words, StartResult result, DesignEdit edit)
    {
        var phrase = result.Outcome switch
        {
            StartOutcome.Starts => Phrase.Of($"starts, overload timer at {result.SurgeUsed:Fraction}"),
            StartOutcome.StartsOnlyIfShed => Phrase.Of($"starts only without {string.Join(" and ", result.Shed)}"),
            StartOutcome.StartsButCannotRun => Phrase.Of($"starts, then {result.Cause.Words()} after {result.TripS ?? 0:Seconds}"),
            StartOutcome.Stalls => Phrase.Of($"stalls"),
            _ => Phrase.Of($"trips after {result.TripS ?? 0:Milliseconds}: {result.Cause.Words()}"),
        };
        return new StartTrial(id, words, result.Outcome, phrase, result.MaxA, result.SurgeUsed, edit);
    }
}
