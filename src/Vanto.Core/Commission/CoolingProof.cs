using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Unit;

namespace Vanto.Core.Commission;

/// <summary>A reading of the space while it is cooled down, as typed.</summary>
public sealed record CoolingValues : DesignPart
{
    [Field(QuantityKind.Temperature, -20, 70, Label = "The space", Optional = true)] public double? CabinC { get; init; }
    [Field(QuantityKind.Number, 0, 2000, Label = "Minutes after the start", Help = "empty is now", Optional = true)] public double? Minute { get; init; }
    [Field(QuantityKind.Temperature, -20, 60, Label = "Air outdoors", Optional = true)] public double? OutdoorC { get; init; }
    [Ask("The compressor starts now")] public bool Begins { get; init; }
}

/// <summary>A reading of the space while it is cooled down.</summary>
public sealed record CoolingRecord(Guid Id, DateTimeOffset At, string By, CoolingValues Readings, Guid? Corrects)
    : ReadingsRecord<CoolingValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<CoolingRecord, CoolingValues>("cooling", "reading of the cooling down",
        (h, readings) => new CoolingRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>A temperature of the picture.</summary>
public sealed record CoolingSpot(double Minute, double C);

/// <summary>The cooling-down as measured, against what was predicted.</summary>
public sealed record CoolingView
{
    public required StationState State { get; init; }
    public required Phrase Words { get; init; }
    public required Phrase Next { get; init; }
    public required IReadOnlyList<CoolingSpot> Readings { get; init; }

    /// <summary>Minutes from one reading by hand to the next; common practice.</summary>
    public double ReadEveryMin => 5;

    /// <summary>What fits them; empty with fewer than twenty over twenty minutes.</summary>
    public required IReadOnlyList<CoolingSpot> Fit { get; init; }

    /// <summary>As Unit predicted, from the temperature at which it began.</summary>
    public required IReadOnlyList<CoolingSpot> Predicted { get; init; }

    public required double SetC { get; init; }

    /// <summary>Minutes to the set-point, read or fitted; nothing where it is never reached.</summary>
    public double? ReachedMin { get; init; }

    /// <summary>Minutes predicted from the same start; nothing where it is never reached.</summary>
    public double? PredictedMin { get; init; }
}

/// <summary>Judges a cooling-down. Bands are common practice.</summary>
public static class CoolingProof
{
    private const double PassShare = 1.25, MostShare = 1.6;

    /// <summary>Nearer to the set-point an inverter turns down, and the curve is no longer its own, K.</summary>
    private const double TurnsDownK = 1;

    /// <summary>Judges the newest run.</summary>
    public static (CoolingView View, List<Finding> Findings) Of(IReadOnlyList<CoolingRecord> records, PullDownView pull, double setC)
    {
        var findings = new List<Finding>();
        var points = Points(records);
        var view = new CoolingView
        {
            State = StationState.Open,
            Words = Phrase.Of($"No cooling-down is written down yet."),
            Next = Phrase.Of($"Thermometer away from the stream of air; write it down as the compressor starts, then every few minutes."),
            Readings = [.. points.Select(p => new CoolingSpot(p.Seconds / 60, p.C))],
            Fit = [],
            Predicted = points.Count == 0 ? [] : Predicted(pull, points[0].C),
            SetC = setC,
            PredictedMin = points.Count == 0 ? null : FromThere(pull, points[0].C),
        };
        if (points.Count == 0)
            return (view, findings);
        var fit = PullDownFit.Of(points.Where(p => p.C > setC + TurnsDownK));
        var reached = points.FirstOrDefault(p => p.C <= setC) is { Seconds: > 0 } there ? there.Seconds : fit?.SecondsTo(setC);
        view = view with
        {
            ReachedMin = reached / 60,
            Fit = fit is null ? [] : [.. Enumerable.Range(0, 61).Select(i => i * Math.Max(points[^1].Seconds, 3600) / 60)
                .Select(t => new CoolingSpot(t / 60, fit.At(t)))],
        };
        if (reached is null)
        {
            if (fit is null)
                return (view with
                {
                    Words = Phrase.Of($"{points[^1].C:Temperature} after {points[^1].Seconds / 60:Count} min."),
                    Next = Phrase.Of($"Read on: twenty readings over twenty minutes show where it would end."),
                }, findings);
            var unsure = fit.Extrapolated ? ", as far as so short a time tells" : "";
            var never = Phrase.Of($"It would end at {fit.EndsC:Temperature}: {setC:Temperature} is not reached{unsure}.");
            findings.Add(Slow(Severity.Stop, never));
            return (view with { State = StationState.Stop, Words = never, Next = Phrase.Of($"Doors shut, sun off? Then look for the fault.") }, findings);
        }
        if (view.PredictedMin is not { } predicted || predicted <= 0)
            return (view with
            {
                State = StationState.Passed,
                Words = Phrase.Of($"{setC:Temperature} after {reached.Value / 60:Count} min."),
                Next = Phrase.Empty,
            }, findings);
        var share = reached.Value / 60 / predicted;
        var state = share <= PassShare ? StationState.Passed : share <= MostShare ? StationState.Caution : StationState.Stop;
        var words = Phrase.Of($"{setC:Temperature} after {reached.Value / 60:Count} min, predicted {predicted:Count}.");
        if (state != StationState.Passed)
            findings.Add(Slow(state == StationState.Stop ? Severity.Stop : Severity.Caution, words));
        return (view with
        {
            State = state,
            Words = words,
            Next = state == StationState.Passed ? Phrase.Of($"It keeps its promise; a cooler day than the design day is quicker.")
                : Phrase.Of($"Doors shut, sun as predicted, filter clean? Else look for the fault."),
        }, findings);
    }

    /// <summary>Readings of the newest run, from its begin.</summary>
    public static List<CoolingPoint> Points(IReadOnlyList<CoolingRecord> records)
    {
        var standing = records.Standing();
        var begin = standing.FindLastIndex(r => r.Readings.Begins);
        return begin < 0 ? [] : [.. standing.Skip(begin).Where(r => r.Readings.CabinC is not null).Select(r => new CoolingPoint(60 * (r.Readings.Begins ? 0
            : r.Readings.Minute ?? Math.Max(0, (records.Moment(r) - records.Moment(standing[begin])).TotalMinutes)), r.Readings.CabinC!.Value))
            .OrderBy(p => p.Seconds)];
    }

    private static Finding Slow(Severity level, Phrase words) => Finding.Of(FindingCode.ProofPullDown, level, words);

    /// <summary>The predicted curve from where it passes a temperature.</summary>
    private static List<CoolingSpot> Predicted(PullDownView pull, double fromC)
    {
        var first = First(pull, fromC);
        return [.. pull.AirC.Skip(first).Select((c, i) => new CoolingSpot(i * pull.StepMinutes, c))];
    }

    private static double? FromThere(PullDownView pull, double fromC) =>
        pull.Minutes is { } whole ? Math.Max(0, whole - First(pull, fromC) * pull.StepMinutes) : null;

    private static int First(PullDownView pull, double fromC) => Math.Max(0, Array.FindIndex(pull.AirC, c => c <= fromC));
}
