using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Service;

/// <summary>A reading of a trend as it is drawn.</summary>
/// <param name="Value">As read.</param>
/// <param name="Expected">What is normal at that warmth; nothing before there is a baseline.</param>
/// <param name="Z">In scatters; nothing where it is not charted.</param>
/// <param name="Steady">It entered the trend: the unit had run for a quarter of an hour.</param>
/// <param name="OfBaseline">It made the baseline.</param>
public sealed record TrendPoint(DateOnly Day, double Value, double? Expected, double? Z, double Up, double Down, bool Steady, bool OfBaseline);

/// <summary>The trend of one quantity of this rig.</summary>
/// <param name="Words">What it says.</param>
/// <param name="Limit">Of the sums, in scatters.</param>
/// <param name="WolfReadings">Readings from one false cry to the next.</param>
/// <param name="DriftFrom">The day from which it drifts; nothing where it does not.</param>
public sealed record TrendSeries(string Id, string Name, QuantityKind Quantity, WorseSide Worse, IReadOnlyList<TrendPoint> Points, Phrase Words,
    Severity? Level, double? Limit, double? WolfReadings, DateOnly? DriftFrom);

/// <summary>Trends of a rig against its own baseline. Rules are common practice; statistics are beside each.</summary>
public static class Trends
{
    /// <summary>A reading counts after the unit ran so long without a stop.</summary>
    public const double SteadyMin = 15;

    /// <summary>Readings that make a baseline at most: what comes later is held against it.</summary>
    private const int BaselineMost = 12;

    private sealed record Kind(string Id, string Name, QuantityKind Quantity, WorseSide Worse, double Uncertainty, bool Relative, Func<TrendValues, double?> Of,
        string Causes, VisitLimits Limits, PartClass[] Restarts);

    private static readonly Kind[] Kinds =
    [
        new("split", "Air in less air out", QuantityKind.TemperatureDifference, WorseSide.Low, 0.5, false, v => v.SplitK,
            "filter, little charge, fan", new(WorseSide.Low, 0.10, 0.20, 0.50), [PartClass.Fan, PartClass.Coil, PartClass.Compressor, PartClass.Circuit]),
        new("run", "Amperes, running", QuantityKind.Current, WorseSide.Both, 0.025, true, v => v.RunA,
            "outdoor coil dirty, air returns, volts low", new(WorseSide.Both, 0.10, 0.20, null),
            [PartClass.Fan, PartClass.Coil, PartClass.Compressor, PartClass.Circuit]),
        new("volts", "Volts, running", QuantityKind.Voltage, WorseSide.Low, 0.008, true, v => v.RunV,
            "a terminal, a thin lead, a weak bank", new(WorseSide.Low, 0.03, 0.05, null), []),
        new("start", "Start current", QuantityKind.Current, WorseSide.High, 0.02, true, v => v.StartA,
            "capacitor or soft starter, compressor", new(WorseSide.High, 0.15, 0.30, null), [PartClass.StartAid, PartClass.Compressor, PartClass.Circuit]),
        new("usable", "Energy out of the full bank", QuantityKind.Energy, WorseSide.Low, 0.03, true, v => v.UsableWh,
            "cells age, a cell is weak, cold", new(WorseSide.Low, 0.10, 0.20, 0.40), [PartClass.Battery]),
    ];

    /// <summary>Every quantity that was read.</summary>
    /// <param name="records">Readings, in the order written.</param>
    /// <param name="parts">Parts replaced: where one touches a quantity its baseline begins anew.</param>
    /// <param name="moved">Days on which a move ended.</param>
    public static (IReadOnlyList<TrendSeries> Series, List<Finding> Findings) Of(IReadOnlyList<TrendRecord> records,
        IReadOnlyList<(DateOnly Day, PartClass Part)> parts, IReadOnlyList<DateOnly> moved)
    {
        var findings = new List<Finding>();
        var standing = records.Standing().Select(r => (Day: Days.Of(r.Readings.Day, r.At), r.Readings)).OrderBy(r => r.Day).ToList();
        var series = new List<TrendSeries>();
        foreach (var kind in Kinds)
        {
            var epoch = parts.Where(p => kind.Restarts.Contains(p.Part)).Select(p => p.Day).Concat(moved).DefaultIfEmpty(DateOnly.MinValue).Max();
            var of = standing.Where(r => r.Day >= epoch && kind.Of(r.Readings) is not null)
                .Select(r => (r.Day, X: r.Readings.OutdoorC, Y: kind.Of(r.Readings)!.Value,
                    Steady: kind.Id is "start" or "usable" || r.Readings.RanMin >= SteadyMin)).ToList();
            if (of.Count > 0)
                series.Add(One(kind, of, epoch > DateOnly.MinValue, findings));
        }
        return (series, findings);
    }

    private static TrendSeries One(Kind kind, List<(DateOnly Day, double? X, double Y, bool Steady)> of, bool repaired, List<Finding> findings)
    {
        // Several steady readings of a day count as one, their median.
        var steady = of.Where(r => r.Steady).GroupBy(r => r.Day)
            .Select(g => (Day: g.Key, X: Median(g.Select(r => r.X ?? 0)), Known: g.All(r => r.X is not null), Y: Median(g.Select(r => r.Y)))).ToList();
        var sloped = steady.TrueForAll(r => r.Known);
        var kept = steady.ConvertAll(r => (X: sloped ? r.X : 0, r.Y));
        var based = Math.Min(BaselineMost, kept.Count);
        var mean = kept.Count > 0 ? kept.Average(r => r.Y) : 0;
        var uncertainty = kind.Relative ? kind.Uncertainty * Math.Abs(mean) : kind.Uncertainty;
        var baseline = TrendBaseline.Of(kept.GetRange(0, based), uncertainty);
        var points = of.Where(r => !r.Steady).Select(r => new TrendPoint(r.Day, r.Y, null, null, 0, 0, false, false)).ToList();
        if (baseline is null)
        {
            points.AddRange(steady.Select(r => new TrendPoint(r.Day, r.Y, null, null, 0, 0, true, false)));
            var (words, level) = Few(kind, [.. steady.Select(r => (r.Day, r.Y))], uncertainty, findings);
            return new TrendSeries(kind.Id, kind.Name, kind.Quantity, kind.Worse, [.. points.OrderBy(p => p.Day)], words, level, null, null, null);
        }
        var limit = Cusum.Limit(based);
        var every = baseline.Lag > TrendBaseline.Sticky ? 2 : 1;
        var later = kept.Select((r, i) => (r.X, r.Y, i)).Skip(based).Select(r => (Place: r.i, Z: baseline.Standard(r.X, r.Y))).ToList();
        var charted = later.Where(l => l.Z is not null).Where((_, n) => n % every == 0).ToList();
        var (steps, drift) = Cusum.Of(charted.ConvertAll(l => l.Z!.Value), Cusum.Slack, limit, repaired ? limit / 2 : 0);
        var stepAt = charted.Select((l, n) => (l.Place, Step: steps[n], l.Z)).ToDictionary(x => x.Place);
        points.AddRange(steady.Select((r, i) => stepAt.TryGetValue(i, out var s)
            ? new TrendPoint(r.Day, r.Y, baseline.A + baseline.B * kept[i].X, s.Z, s.Step.Up, s.Step.Down, true, false)
            : new TrendPoint(r.Day, r.Y, baseline.A + baseline.B * kept[i].X, null, 0, 0, true, i < based)));
        var wolf = Cusum.Wolf(based);
        var said = Phrase.Of($"As always since {Days.Text(steady[0].Day)}: {charted.Count} readings over a baseline of {based}.");
        Severity? worst = null;
        DateOnly? from = null;
        if (drift is not null)
        {
            from = steady[charted[drift.From].Place].Day;
            var amount = Math.Abs(drift.ShiftSigmas) * baseline.Sigma;
            var up = drift.ShiftSigmas > 0;
            var bad = kind.Worse == WorseSide.Both || up == (kind.Worse == WorseSide.High);
            worst = bad ? Severity.Caution : Severity.Note;
            var moved = Phrase.Of(new Measure(amount, kind.Quantity));
            said = bad
                ? Phrase.Of($"{kind.Name}: {moved} {(up ? "more" : "less")} than this rig's normal, since {Days.Text(from.Value)}. Look at: {kind.Causes}.")
                : Phrase.Of($"{kind.Name}: {moved} {(up ? "more" : "less")} since {Days.Text(from.Value)}, the better way. "
                    + $"Another instrument, another season?");
            findings.Add(Finding.Of(FindingCode.TrendDrift, worst.Value, said));
        }
        return new TrendSeries(kind.Id, kind.Name, kind.Quantity, kind.Worse, [.. points.OrderBy(p => p.Day)], said, worst, limit, wolf, from);
    }

    /// <summary>Too few for a baseline: the newest against the first.</summary>
    private static (Phrase Words, Severity? Level) Few(Kind kind, List<(DateOnly Day, double Y)> steady, double uncertainty, List<Finding> findings)
    {
        if (steady.Count < 2)
            return (Phrase.Of($"{steady.Count} steady readings; {TrendBaseline.Least} make a baseline, two are compared."), null);
        var judged = VisitComparison.Of(steady[^1].Y, steady[0].Y, uncertainty, uncertainty, kind.Limits);
        var then = Phrase.Of(new Measure(steady[0].Y, kind.Quantity));
        var now = Phrase.Of(new Measure(steady[^1].Y, kind.Quantity));
        if (judged.Level is not { } level)
            return (Phrase.Of($"{now}, {then} at first: no change that these instruments can see, or the better way."), null);
        var words = Phrase.Of($"{kind.Name}: {now}, {then} on {Days.Text(steady[0].Day)}. Look at: {kind.Causes}.");
        findings.Add(Finding.Of(FindingCode.TrendChanged, level, words));
        return (words, level);
    }

    private static double Median(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        return sorted.Count % 2 == 1 ? sorted[sorted.Count / 2] : (sorted[sorted.Count / 2 - 1] + sorted[sorted.Count / 2]) / 2;
    }
}
