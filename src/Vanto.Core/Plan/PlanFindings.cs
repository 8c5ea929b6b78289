using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Plan;

/// <summary>What is wrong with a plan and what mends it.</summary>
public sealed class PlanFindings(PlanSetting s, TaskNetwork net, ScheduleProblem problem, PlanAssessment r, InputError? hopeless, double earlierMin)
{
    private const double GeneratorStepW = 500;
    private const double SurplusShare = 0.4;
    private const decimal SurplusWorth = 20;

    private Remedy Way(Phrase words, Phrase effect, Func<PlanDesign, PlanDesign> change) => new(words, effect, DesignEdit.Of(s.Design, change));

    /// <summary>All of them, as they come.</summary>
    public IEnumerable<Finding> All() => [.. OfCrew(), .. OfTime(), .. OfBox(), .. OfBuying()];

    /// <summary>One more can join the crew.</summary>
    private bool Joins => s.Design.Crew.Count < PlanDesign.MostCrew;

    private IEnumerable<Finding> OfCrew()
    {
        var two = net.Steps.Where(x => x.OnSite && x.Task.Crew > problem.People.Count).ToList();
        var byOne = AloneSteps.Of(s);
        var alone = net.Steps.Where(x => x.OnSite && byOne.ContainsKey(x.Task.Id)).ToList();
        var helper = Way(Phrase.Of($"the owner lends a hand"), Phrase.Of($"for {Calls.Many(two.Count + alone.Count, "step")}"),
            p => p.Joined(new CrewDesign { Name = "owner", Licence = Licence.None, Helper = true, RateH = 0 }));
        var names = string.Join(", ", two.Take(3).Select(x => x.Name));
        if (two.Count > 0)
            yield return Finding.Of(FindingCode.CrewTwo, Severity.Stop, Phrase.Of($"{names} take{(two.Count == 1 ? "s" : "")} two people; over "
                + $"{AloneSteps.LiftKg:Mass} or on a ladder nobody lifts alone."), [helper]);
        if (alone.Count > 0)
        {
            var longer = alone.Sum(x => x.Hands.Likely * (1 - 1 / AloneSteps.Longer));
            yield return Finding.Of(FindingCode.CrewAlone, Severity.Caution, Phrase.Of($"{string.Join(", ", alone.Take(3).Select(x => x.Name))} "
                + $"{(alone.Count == 1 ? "is" : "are")} done by one: prop block, hoist, or bracket with a shelf; {Readable.Span(longer)} more of hands."),
                two.Count > 0 ? [] : [helper]);
        }
        foreach (var (skill, licence) in new[] { ("handler", Licence.Handler), ("electrician", Licence.Electrician) })
            if (net.Steps.Where(x => x.OnSite && x.Task.Skill == skill).ToList() is { Count: > 0 } asked && !problem.People.Any(p => p.Leads(skill)))
                yield return Finding.Of(FindingCode.NoSkill, Severity.Stop, Phrase.Of(
                    $"Nobody of the crew has the {Calls.Name(licence)} licence{(skill == "handler" && s.Burns ? ", for a refrigerant that burns," : "")} that "
                    + $"“{asked[0].Name}” and {asked.Count - 1:Count} more ask for."), Joins
                    ? [Way(Phrase.Of($"somebody with it"), Phrase.Of($"joins the crew"),
                        p => p.Joined(new CrewDesign { Name = Calls.Name(licence), Licence = licence }))] : []);
        if (s.Sheet.FinishedBy == Finisher.Licensed && s.Split && s.Design.When.FinisherDay.Length == 0
            && !s.Design.Crew.Any(c => !c.Helper && c.Licence is Licence.Handler or Licence.Both))
            yield return Finding.Of(FindingCode.FinisherUnbooked, Severity.Caution,
                Phrase.Of($"The warranty asks for a licensed person to finish it: none is in the crew, and no day is booked."));
    }

    private IEnumerable<Finding> OfTime()
    {
        foreach (var id in net.Circles)
        {
            var row = OwnSteps.Of(s.Design.Own, TaskLibrary.Standard).Select(o => o.Task.Id).ToList().IndexOf(id);
            yield return Finding.Of(FindingCode.OwnCircle, Severity.Caution,
                Phrase.Of($"{net.Steps.First(x => x.Id == id).Name} cannot come before what it comes after: that wish is left out."),
                [Way(Phrase.Of($"nothing waits for it"), Phrase.Of($"as planned now"),
                    p => p with { Own = [.. p.Own.Select((o, i) => i == row ? o with { Before = "" } : o)] })]);
        }
        static double Watts(JobStep x) => Math.Max(x.Task.SitePowerW, x.Task.Wait?.SitePowerW ?? 0);
        if (problem.SupplyW is { } watts && net.Steps.Where(x => x.OnSite && Watts(x) > watts).MaxBy(Watts) is { } heavy)
        {
            var generator = Math.Ceiling(Watts(heavy) / GeneratorStepW) * GeneratorStepW;
            yield return Finding.Of(FindingCode.SupplySmall, Severity.Stop,
                Phrase.Of($"{heavy.Name} takes {Watts(heavy):ElectricPower}; the site gives {watts:ElectricPower}."),
                [Way(Phrase.Of($"a generator for the tools"), Phrase.Of($"{generator:ElectricPower}"),
                    p => p with { When = p.When with { SupplyW = generator } })]);
        }
        else if (r.Ends is null && hopeless is not null && net.Steps.All(x => x.Task.Crew <= problem.People.Count))
            yield return Finding.Of(FindingCode.NoRoomInDays, Severity.Stop, Phrase.Of($"{hopeless.Reason}."), Sooner(int.MaxValue));
        if (r.Ends is not { } ends)
            yield break;
        if (s.Design.When.OutOfHeat && s.TooHot() is { } hot && s.With(s.Design with { When = s.Design.When with { OutOfHeat = false } }) is var hardy
            && Quick(hardy, net) is { } inHeat && inHeat.Ends / WorkCalendar.Day < ends / WorkCalendar.Day)
            yield return Finding.Of(FindingCode.RoofInHeat, Severity.Caution, Phrase.Of($"Nobody works on the roof from {Readable.Clock(hot.From)} to "
                + $"{Readable.Clock(hot.To)}: that moves the end to another day."), Sooner(ends));
        if (r.Chance < FinishBefore.LeastChance)
            yield return Finding.Of(FindingCode.NotToday, Severity.Caution, Phrase.Of($"Done by the end of that day with {r.Chance:Fraction}: "
                + $"{Readable.Span(Math.Ceiling(earlierMin / 5) * 5)} more would make it four times in five."), Sooner(ends));
        if (s.Design.Outlook.Count == 0 && net.Steps.FirstOrDefault(x => x.OnSite && (x.Task.Limits.Dry || x.Task.Limits.WindMaxMs is not null)) is { } open)
            yield return Finding.Of(FindingCode.NoOutlook, Severity.Note,
                Phrase.Of($"No rain or wind is typed: {open.Name.ToLowerInvariant()} and what else needs a dry or calm hour is planned at any."));
        if (net.Steps.Any(x => x.Id == "pad-pour") && s.Mounted.Slab is { } slab)
            yield return Finding.Of(FindingCode.CureInPlan, Severity.Note,
                Phrase.Of($"The slab rests {Math.Ceiling(slab.WaitDays):Count} days before the unit stands on it: two visits."));
    }

    /// <summary>What ends earlier, tried out by the quick rule.</summary>
    private List<Remedy> Sooner(int ends) => _sooner ??= Tried(ends);

    /// <summary>All findings of one plan ask about the same end.</summary>
    private List<Remedy>? _sooner;

    private List<Remedy> Tried(int ends)
    {
        var ways = new List<Remedy>();
        void Try(Phrase words, Func<PlanDesign, PlanDesign> change)
        {
            var other = s.With(change(s.Design));
            if (Quick(other, net) is { } quick && quick.Ends < ends)
                ways.Add(Way(words, Phrase.Of($"done {PlanMaker.When(other, quick.Ends)}"), change));
        }

        if (s.TooHot() is not null && s.Design.When.OutOfHeat && s.Daylight().From / 60.0 is var dawn && s.Design.When.From > Math.Ceiling(dawn) + 1)
            Try(Phrase.Of($"begin at dawn"), p => p with { When = p.When with { From = Math.Ceiling(dawn) } });
        if (s.Design.When.From >= 7)
            Try(Phrase.Of($"an hour earlier"), p => p with { When = p.When with { From = p.When.From - 1 } });
        if (s.Design.Crew.Count(c => !c.Helper) == 1 && Joins)
            Try(Phrase.Of($"a second fitter"), p => p.Joined(new CrewDesign { Name = "second fitter" }));
        return ways;
    }

    /// <summary>Another plan by the quick rule; null where it cannot be.</summary>
    public static WorkSchedule? Quick(PlanSetting other) => Quick(other, TaskNetwork.Expand(other.Shape(), TaskLibrary.Standard));

    /// <summary>The same where crew and hours alone differ, which change no step.</summary>
    private static WorkSchedule? Quick(PlanSetting other, TaskNetwork net)
    {
        var problem = other.Problem(net);
        return problem.Hopeless() is null ? SerialSchedule.Of(problem) : null;
    }

    private IEnumerable<Finding> OfBox()
    {
        var unfit = r.Box.Where(b => !b.Fits).ToList();
        if (unfit.Count > 0)
            yield return Finding.Of(FindingCode.BoxPartUnfit, Severity.Caution, Phrase.Of($"In the box and of no use here: {string.Join("; ",
                unfit.Take(3).Select(b => $"{b.Name}, {b.Words}"))}."));
    }

    private IEnumerable<Finding> OfBuying()
    {
        if (s.FirstDay is not null && DateOnly.TryParseExact(s.Design.When.OrderedOn, "yyyy-MM-dd", out var ordered))
        {
            var late = r.Buy.Where(b => !b.Nothing && DateOnly.TryParseExact(b.OrderBy, "yyyy-MM-dd", out var by) && by < ordered).ToList();
            if (late.Count > 0)
            {
                var days = new SupplierDays();
                DateOnly Begin(BuyRow b) => days.Forward(ordered, b.LeadDays + TakeOff.AheadDays).AddDays(-(b.NeededMin ?? 0) / WorkCalendar.Day);
                var worst = late.MaxBy(Begin)!;
                var first = Begin(worst);
                yield return Finding.Of(FindingCode.OrderLate, Severity.Stop,
                    Phrase.Of($"{worst.Name} may take {worst.LeadDays:Count} working days and was to be "
                    + $"ordered by {worst.OrderBy}; {late.Count:Count} in all are late."), [Way(Phrase.Of($"begin later"),
                        Phrase.Of($"{first.ToString("yyyy-MM-dd")}"),
                        p => p with { When = p.When with { FirstDay = first.ToString("yyyy-MM-dd") } })]);
            }
        }
        var unpriced = r.Buy.Count(b => !b.Nothing && b.Cost is null);
        if (unpriced > 0)
            yield return Finding.Of(FindingCode.NoPrice, Severity.Note,
                Phrase.Of($"{Calls.Many(unpriced, "line")} without a price: the quote leaves them out."));
        foreach (var b in r.Buy.Where(b => b.Cost is > 0 && b.Bought - b.Need > SurplusShare * b.Need
            && b.Cost.Value * (decimal)((b.Bought - b.Need) / b.Bought) > SurplusWorth).Take(1))
            yield return Finding.Of(FindingCode.BigSurplus, Severity.Note,
                Phrase.Of($"{b.Name}: {b.Bought:Number} bought for {b.Need:Number} {b.Unit}; a smaller pack."));
    }
}
