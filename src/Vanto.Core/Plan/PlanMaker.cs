using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Plan;

/// <summary>Makes the plan's result from a schedule.</summary>
public sealed class PlanMaker(PlanSetting s, TaskNetwork net, ScheduleProblem problem)
{
    /// <summary>The result.</summary>
    /// <param name="schedule">The steps placed; null where they cannot be.</param>
    /// <param name="hopeless">Why not.</param>
    /// <param name="solved">What the solver says of it; null for the quick rule.</param>
    public PlanAssessment Made(WorkSchedule? schedule, InputError? hopeless, SolvedSchedule? solved)
    {
        var chain = schedule is null ? [] : Chain(schedule);
        var steps = Steps(schedule, chain);
        var buy = TakeOff.Of(s, net, schedule);
        var toolCosts = ToolCosts(schedule);
        var quote = Quote(buy, toolCosts, schedule);
        var tools = Tools(schedule);
        (FinishBefore Done, double EarlierMin)? inTime = schedule is null ? null : InTime(schedule, chain);
        var result = new PlanAssessment(new Verdict(StationState.Open, Phrase.Empty, Phrase.Empty), [], [])
        {
            Network = net,
            Kinds = [.. s.Shape().Kinds.Select(k => TaskLibrary.Standard.JobKinds.First(j => j.Id == k).Name)],
            Steps = steps,
            Edges = [.. net.Steps.SelectMany(x => x.After.Select(e => new PlanEdge(e.Step, x.Id)))],
            Days = Days(schedule),
            Blocks = Blocks(schedule),
            People = People(schedule),
            Waits = Waits(schedule),
            Buy = buy,
            Box = TakeOff.Box(s),
            Tools = tools,
            ToolCosts = toolCosts,
            Quote = quote.Lines,
            PersonMin = net.Steps.Where(x => x.OnSite).Sum(x => x.Hands.Likely * x.Task.Crew),
            Ends = schedule?.Ends,
            Chance = inTime?.Done.Chance ?? 0,
            ToolsKg = tools.Sum(t => t.MassKg),
            Gross = quote.Sum.Gross,
            Sum = quote.Sum,
            Currency = s.Design.Quote.Currency,
        };
        var findings = Finding.Ranked(new PlanFindings(s, net, problem, result, hopeless, inTime?.EarlierMin ?? 0).All());
        return result with
        {
            Findings = findings,
            Verdict = Say(result, schedule, findings, solved, hopeless),
            Answers = Answers(result, quote.Sum),
            Figures = Figures(result, inTime, chain, quote.Sum),
        };
    }

    private Verdict Say(PlanAssessment r, WorkSchedule? schedule, IReadOnlyList<Finding> findings, SolvedSchedule? solved, InputError? hopeless)
    {
        var state = Verdict.Worst(findings);
        if (schedule is null)
            return new Verdict(StationState.Stop, Phrase.Of($"It cannot be planned so."), hopeless is null
                ? Phrase.Of($"The next {PlanSetting.Days:Count} days are too short for all of it.") : Phrase.Of($"{hopeless.Reason}."));
        var proof = solved is { Proof: ScheduleProof.Proven } ? "Proven: cannot finish earlier with this crew."
            : solved is { Proof: ScheduleProof.Found } ? $"At most {Readable.Span(solved.Gap)} could still be won."
            : $"By the quick rule; cannot be shorter than {Shortest()}.";
        return new Verdict(state, Phrase.Of($"Done {When(schedule.Ends)}; in time with {r.Chance:Fraction}."),
            Phrase.Of($"{proof} {Calls.Many(r.Steps.Count(x => x.Start is not null), "step")} on site, {Readable.Span(r.PersonMin)} of hands."));
    }

    private string Shortest()
    {
        var bound = ScheduleBounds.Of(problem).Select(b => b with { Minutes = b.Minutes - (int)(s.Design.When.From * 60) }).MaxBy(b => b.Minutes)!;
        return $"{Readable.Span(bound.Minutes)}, because of the {bound.Why.Replace('-', ' ')}";
    }

    /// <summary>A minute of the plan as a person says it.</summary>
    private string When(int minute) => When(s, minute);

    /// <inheritdoc cref="When(int)"/>
    public static string When(PlanSetting s, int minute)
    {
        var day = minute / WorkCalendar.Day;
        return day == 0 ? $"at {Readable.Clock(minute)}" : s.FirstDay is { } first
            ? $"on {first.AddDays(day):dddd} at {Readable.Clock(minute)}" : $"on day {day + 1} at {Readable.Clock(minute)}";
    }

    private Dictionary<string, Phrase> Answers(PlanAssessment r, QuoteSum sum)
    {
        var unfit = r.Box.Count(b => !b.Fits);
        var lines = r.Buy.Count(b => !b.Nothing);
        var unpriced = r.Buy.Count(b => !b.Nothing && b.Cost is null);
        return new Dictionary<string, Phrase>
        {
            ["buy"] = unfit > 0 ? Phrase.Of($"{Calls.Many(lines, "line")} to buy; {unfit:Count} of the box {(unfit == 1 ? "is" : "are")} of no use here.")
                : Phrase.Of($"{Calls.Many(lines, "line")} to buy; {(s.Sheet.Box.Count == 0 ? "the box is not typed yet" : "all of the box is used")}."),
            ["tools"] = Phrase.Of($"{Calls.Many(r.Tools.Count, "tool")}, {r.ToolsKg:Mass}; loaded last what is needed first."),
            ["quote"] = unpriced == r.Buy.Count(b => !b.Nothing) ? Phrase.Of($"No price is typed: {Readable.Money(sum.Gross, r.Currency)} is labour and other.")
                : Phrase.Of($"{Readable.Money(sum.Gross, r.Currency)} with tax{(unpriced > 0 ? $", and {Calls.Many(unpriced,
                    "line")} without a price" : "")}."),
        };
    }

    private List<PlanStep> Steps(WorkSchedule? schedule, HashSet<string> chain)
    {
        var at = schedule?.Tasks.ToDictionary(t => t.Task);
        return [.. net.Steps.Select(x =>
        {
            var p = at?.GetValueOrDefault(x.Id);
            return new PlanStep(x.Id, x.Name, x.Task.Stage, x.Task.Skill == "anyone" ? "" : x.Task.Skill, x.Task.Place, Math.Round(x.Hands.Likely), p?.Start,
                p?.End, p?.WaitEnd, x.Task.Wait is { } w ? w.Kind.Replace('-', ' ') : "", p?.People ?? [], chain.Contains(x.Id));
        })];
    }

    private List<PlanDay> Days(WorkSchedule? schedule)
    {
        if (schedule is null)
            return [];
        var w = s.Design.When;
        var light = s.Daylight();
        var hot = s.TooHot() ?? (0, 0);
        var (at, pause) = ((int)(w.BreakAt * 60), (int)(w.BreakH * 60));
        var spans = pause > 0 && at > w.From * 60 && at + pause < w.To * 60;
        return [.. schedule.Tasks.Where(t => t.End > t.Start).SelectMany(t => new[] { t.Start / WorkCalendar.Day,
            (t.End - 1) / WorkCalendar.Day }).Distinct().Order()
            .Select(d => new PlanDay(d, s.FirstDay is { } first ? $"{first.AddDays(d):dddd yyyy-MM-dd}" : $"day {d + 1}", (int)(w.From * 60),
                (int)(w.To * 60), spans ? at : 0, spans ? at + pause : 0, light.From, light.To, hot.Item1, hot.Item2))];
    }

    private List<PlanBlock> Blocks(WorkSchedule? schedule)
    {
        var blocks = new List<PlanBlock>();
        if (schedule is null)
            return blocks;
        var by = net.Steps.ToDictionary(x => x.Id);
        for (var person = 0; person < s.Design.Crew.Count; person++)
            foreach (var t in schedule.Tasks.Where(t => t.People.Contains(person)).OrderBy(t => t.Start).ThenBy(t => t.End))
            {
                var (task, day) = (by[t.Task].Task, t.Start / WorkCalendar.Day);
                var (from, to, skill) = (t.Start - day * WorkCalendar.Day, t.End - day * WorkCalendar.Day, task.Skill == "anyone" ? "" : task.Skill);
                var words = StageWords.Of(task.Stage);
                if (blocks.Count > 0 && blocks[^1] is var last && last.Person == person && last.Day == day && last.Words == words && last.Skill == skill
                    && from - last.To <= JoinedMin)
                    blocks[^1] = last with { To = to, Steps = [.. last.Steps, by[t.Task].Name] };
                else
                    blocks.Add(new PlanBlock(day, person, words, skill, from, to, [by[t.Task].Name]));
            }
        return blocks;
    }

    /// <summary>Steps so near together are one block on the screen, min.</summary>
    private const int JoinedMin = 5;

    private List<PersonRow> People(WorkSchedule? schedule) => [.. s.Design.Crew.Select((c, i) => new PersonRow(c.Name, Calls.Name(c.Licence), c.Helper,
        schedule?.Tasks.Where(t => t.People.Contains(i)).Sum(t => (double)problem.Tasks[problem.Index[t.Task]].Hands) ?? 0, c.RateH))];

    private List<WaitRow> Waits(WorkSchedule? schedule)
    {
        if (schedule is null)
            return [];
        var names = net.Steps.ToDictionary(x => x.Id, x => x);
        return [.. schedule.Tasks.Where(t => t.WaitEnd > t.End).OrderBy(t => t.End).Select(t => new WaitRow(names[t.Task].Name,
            names[t.Task].Task.Wait!.Kind.Replace('-', ' '), t.End, t.WaitEnd,
            [.. schedule.Tasks.Where(o => o.Start < t.WaitEnd && o.End > t.End).OrderBy(o => o.Start).Select(o => names[o.Task].Name)]))];
    }

    /// <summary>Steps without slack that end last: each begins as soon as one before it, its people or its equipment are free.</summary>
    private HashSet<string> Chain(WorkSchedule schedule)
    {
        var chain = new HashSet<string>();
        var hours = s.Hours();
        var last = schedule.Tasks.MaxBy(t => t.End)!;
        for (PlacedTask? at = last; at is not null && chain.Add(at.Task);)
        {
            var now = at;
            var task = problem.Tasks[problem.Index[now.Task]];
            // What lets it begin last holds it, if no work lies between; what let it begin earlier is farther off still.
            (at, var latest) = (null, int.MinValue);
            foreach (var o in schedule.Tasks)
                if (o.End <= now.Start && o.Task != now.Task && Freed(task, now, o) is { } free && free <= now.Start && free > latest)
                    (at, latest) = (o, free);
            if (at is not null && hours.WorkingMinutes(latest, now.Start) > 0)
                at = null;
        }
        return chain;
    }

    /// <summary>When a step lets another begin; null where it does not hold it.</summary>
    private static int? Freed(WorkTask task, PlacedTask now, PlacedTask other) =>
        task.After.FirstOrDefault(e => e.Task == other.Task) is { } edge ? (edge.AfterWait ? other.WaitEnd : other.End) + edge.Lag
            : now.People.Any(other.People.Contains) ? other.End : null;

    private (FinishBefore Done, double EarlierMin) InTime(WorkSchedule schedule, HashSet<string> chain)
    {
        var day = (schedule.Ends - 1) / WorkCalendar.Day;
        var hours = s.Hours();
        var opens = hours.Windows.Where(w => w.From / WorkCalendar.Day == day).Select(w => w.From).DefaultIfEmpty(day * WorkCalendar.Day).Min();
        var byId = net.Steps.ToDictionary(x => x.Id);
        var (hands, handsVar, waits, waitsVar) = (0.0, 0.0, 0.0, 0.0);
        var placed = schedule.Tasks.Where(t => chain.Contains(t.Task) && t.Start >= opens).OrderBy(t => t.Start).ToList();
        foreach (var (t, next) in placed.Zip(placed.Skip(1).Cast<PlacedTask?>().Append(null)))
        {
            hands += ThreePoint.Mean(byId[t.Task].Hands);
            handsVar += ThreePoint.Variance(byId[t.Task].Hands);
            if (next is null || next.Start < t.WaitEnd || byId[t.Task].Wait == default)
                continue;
            waits += ThreePoint.Mean(byId[t.Task].Wait);
            waitsVar += ThreePoint.Variance(byId[t.Task].Wait);
        }
        var ends = day * WorkCalendar.Day + (int)(s.Design.When.To * 60);
        var limit = hours.WorkingMinutes(placed.Count > 0 ? placed[0].Start : opens, ends);
        var done = FinishBefore.Of(hands, handsVar, waits, waitsVar, s.Design.When.DayShare, limit);
        return (done, done.EarlierMin(limit));
    }

    private List<ToolRow> Tools(WorkSchedule? schedule)
    {
        var at = schedule?.Tasks.ToDictionary(t => t.Task, t => t.Start);
        var library = TaskLibrary.Standard;
        return [.. net.Tools(library).Select(tool =>
        {
            var uses = net.Steps.Where(x => x.Task.Tools.Any(t => t.Id == tool.Id && library.Holds(t.When, net.Tags)))
                .OrderBy(x => at?.GetValueOrDefault(x.Id, -1) ?? 0).ToList();
            return new ToolRow(tool.Id, tool.Name, tool.Kind, tool.MassKg, ToolSizes.Of(tool.Id, s), uses[0].Name, at?.GetValueOrDefault(uses[0].Id, -1) ?? 0);
        }).OrderByDescending(t => t.LastUse)];
    }

    private List<ToolCostRow> ToolCosts(WorkSchedule? schedule)
    {
        var library = TaskLibrary.Standard;
        var at = schedule?.Tasks.ToDictionary(t => t.Task);
        return [.. s.Design.ToolCosts.Select(t =>
        {
            var used = net.Steps.Where(x => x.Task.Tools.Any(u => u.Id == t.Tool && library.Holds(u.When, net.Tags)))
                .Select(x => at?.GetValueOrDefault(x.Id)).OfType<PlacedTask>().ToList();
            var name = library.Tools.FirstOrDefault(u => u.Id == t.Tool)?.Name ?? t.Tool;
            if (used.Count == 0)
                return new ToolCostRow(name, 0, null, null, "not used in this job", 0);
            var days = used.Max(u => Math.Max(u.Start, u.End - 1) / WorkCalendar.Day) - used.Min(u => u.Start / WorkCalendar.Day) + 1;
            var cost = ToolCost.Of(t, days);
            var words = cost.Cost is null ? $"{(cost.Hired ? "hired" : "bought")}, without a price"
                : cost.Hired ? $"hired for {Calls.Many(days, "day")}" : $"bought, shared by {Calls.Many(t.Jobs, "job")}";
            return new ToolCostRow(name, days, cost.Hire, cost.Bought,
                cost.EvenJobs is { } even ? $"{words}; buying costs less from {Calls.Many(even, "such job")}" : words, cost.Cost);
        })];
    }

    private (List<QuoteLine> Lines, QuoteSum Sum) Quote(IReadOnlyList<BuyRow> buy, IReadOnlyList<ToolCostRow> tools, WorkSchedule? schedule)
    {
        var q = s.Design.Quote;
        var pace = net.Steps.Where(x => x.OnSite).ToDictionary(x => x.Id, x => ThreePoint.Mean(x.Hands));
        var hours = s.Design.Crew.Select((c, i) => (c.Name, Hours: (schedule?.Tasks.Where(t => t.People.Contains(i)).Sum(t => pace[t.Task]) ?? 0) / 60,
            Rate: (decimal)c.RateH)).Where(h => h.Hours > 0).ToList();
        var sum = QuoteSum.Of(buy.Where(b => b.Cost is > 0).Select(b => (1.0, b.Cost!.Value)),
            [.. hours.Select(h => (Math.Round(h.Hours, 2), h.Rate)), (q.TravelH, (decimal)q.TravelRateH)],
            [.. tools.Select(t => t.Cost ?? 0), (decimal)q.Travel, (decimal)q.Other],
            q.Contingency, q.Margin, q.Discount, q.Tax);
        string M(decimal amount) => Readable.Money(amount, q.Currency);
        string P(double share) => FormattableString.Invariant($"{share * 100:0.#} %");
        List<QuoteLine> lines =
        [
            new(Phrase.Of($"materials, {Calls.Many(buy.Count(b => b.Cost is > 0), "line")} with a price").ToString(), M(sum.Materials)),
            .. hours.Select(h => new QuoteLine(FormattableString.Invariant($"{h.Name}, {h.Hours:0.0} h at {h.Rate:0.##}"),
                M(QuoteSum.Cent((decimal)Math.Round(h.Hours, 2) * h.Rate)))),
            new(FormattableString.Invariant($"travel and set-up, {q.TravelH:0.#} h at {q.TravelRateH:0.##}"),
                M(QuoteSum.Cent((decimal)(q.TravelH * q.TravelRateH)))),
            .. tools.Where(t => t.Cost is > 0).Select(t => new QuoteLine($"{t.Tool.ToLowerInvariant()}, {t.Words.Split(';')[0]}", M(t.Cost!.Value))),
            new("way, permit, waste", M(sum.Other - tools.Sum(t => t.Cost ?? 0))),
            new($"for what is not seen, {P(q.Contingency)}", M(sum.Contingency)),
            new("cost", M(sum.Cost), true),
            new($"margin {P(q.Margin)} of the price, which is {P(QuoteSum.Markup(q.Margin))} on the cost{(q.Discount > 0 ? $", less {P(q.Discount)}" : "")}",
                M(sum.Net - sum.Cost)),
            new("price", M(sum.Net), true),
            new($"tax {P(q.Tax)}", M(sum.Tax)),
            new("to pay", M(sum.Gross), true),
            new($"deposit {P(q.Deposit)}, holds for {q.ValidDays} days", M(QuoteSum.Cent(sum.Gross * (decimal)q.Deposit))),
        ];
        return (lines, sum);
    }

    private List<Figure> Figures(PlanAssessment r, (FinishBefore Done, double EarlierMin)? inTime, HashSet<string> chain, QuoteSum sum)
    {
        var figures = new List<Figure>();
        void Add(string leaf, string label, double value, QuantityKind kind, WorkingBuilder working) =>
            figures.Add(new Figure(label, value, kind, working.Done()) { Leaf = leaf });
        var likely = net.Steps.Where(x => x.OnSite).Sum(x => x.Hands.Likely) / 60;
        var mean = net.Steps.Where(x => x.OnSite).Sum(x => ThreePoint.Mean(x.Hands)) / 60;
        Add("", "Hands on site, expected", mean, QuantityKind.Hours, Working.Start().Step("μ", "Σ (a + 4m + b)/6",
            $"{r.Steps.Count(x => x.Start is not null)} steps, likely {likely:0.0} h", mean, "h", Citations.ThreePoints));
        if (inTime is var (done, earlier))
        {
            Add("", "Within its last day", done.Chance, QuantityKind.Fraction, Working.Start()
                .Step("μ", "Σ of the steps that bind", $"{chain.Count} steps", done.MeanMin, "min", Citations.ThreePoints)
                .Step("σ", "√(Σσ² + (c·Σhands)²)", $"days differ by {s.Design.When.DayShare:0.##}", done.SpreadMin, "min", Citations.ThreePoints)
                .Step("P", "Φ((D − μ)/σ)", $"{earlier:0} min earlier would make it 80 %", done.Chance, "", Citations.ThreePoints));
        }
        Add("tools", "Tools weigh", r.ToolsKg, QuantityKind.Mass, Working.Start().Step("m", "Σ of the tools", $"{r.Tools.Count} tools", r.ToolsKg, "kg",
            Citations.Trade));
        Add("quote", $"To pay, {s.Design.Quote.Currency}", (double)sum.Gross, QuantityKind.Number, Working.Start()
            .Step("K", "materials + labour + other + unseen", $"{sum.Materials} + {sum.Labour} + {sum.Other} + {sum.Contingency}", (double)sum.Cost,
                s.Design.Quote.Currency, Citations.Costing)
            .Step("N", "K/(1 − margin)", $"margin {s.Design.Quote.Margin:0.###}", (double)sum.Net, s.Design.Quote.Currency, Citations.Costing)
            .Step("B", "N + tax", $"{sum.Tax}", (double)sum.Gross, s.Design.Quote.Currency, Citations.Costing));
        return figures;
    }
}
