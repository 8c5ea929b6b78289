using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Wiring;

namespace Vanto.Core.Handover;

/// <summary>A caution that somebody has read and told on, as typed.</summary>
public sealed record SeenValues : DesignPart
{
    [Ask("Caution", Longest = 80)] public string Code { get; init; } = "";
}

/// <summary>A caution that somebody has read and told on.</summary>
public sealed record SeenRecord(Guid Id, DateTimeOffset At, string By, SeenValues Readings, Guid? Corrects)
    : ReadingsRecord<SeenValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<SeenRecord, SeenValues>("seen", "caution that was seen",
        (h, readings) => new SeenRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>A thing that must stand before the papers are issued.</summary>
/// <param name="Met">It does.</param>
/// <param name="Station">Where it is made.</param>
public sealed record ReadyRow(string Id, string Words, bool Met, Phrase Said, string Station, string Leaf);

/// <summary>Whether everything is proved that is about to be signed. Common practice, no published source.</summary>
public static class Readiness
{
    private static readonly (string Id, string Words)[] Readings =
    [
        ("amps", "Amperes running"), ("volts", "Volts running"), ("split", "Air in less air out"), ("start", "Start on the source"),
        ("drain", "Drain with water"),
    ];

    /// <summary>The rows of a job.</summary>
    /// <param name="findings">Of all stations.</param>
    /// <param name="seen">Cautions that were seen.</param>
    /// <param name="commission">The proof.</param>
    /// <param name="wiring">Tests before power; nothing where none were worked out.</param>
    /// <param name="install">The work on site.</param>
    /// <param name="built">What was built against what was drawn.</param>
    public static IReadOnlyList<ReadyRow> Of(IEnumerable<Finding> findings, IReadOnlyList<SeenRecord> seen, CommissionAssessment? commission,
        WiringAssessment? wiring, InstallAssessment? install, IReadOnlyList<BuiltRow> built)
    {
        var rows = new List<ReadyRow>();
        void Add(string id, string words, bool met, Phrase said, string station, string leaf) => rows.Add(new ReadyRow(id, words, met, said, station, leaf));
        var all = findings.ToList();
        var stops = all.Where(f => f.Level == Severity.Stop).ToList();
        Add("stops", "No stop is open", stops.Count == 0, stops.Count == 0 ? Phrase.Empty : stops[0].Words, stops.Count == 0 ? "" : stops[0].Station,
            stops.Count == 0 ? "" : stops[0].Leaf);
        var told = seen.Select(s => s.Readings.Code).ToHashSet();
        var untold = all.Where(f => f.Level == Severity.Caution && !told.Contains(f.Code)).ToList();
        Add("cautions", "Every caution was seen and told", untold.Count == 0, untold.Count == 0 ? Phrase.Empty
            : Phrase.Of($"{untold.Count} not yet: {untold[0].Words}"), "handover", "ready");
        if (commission is not null)
        {
            foreach (var part in commission.Proof.SkipLast(1))
                Add($"proof-{part.Leaf}-{part.Name}", part.Name, part.State == StationState.Passed, part.Words, "commission", part.Leaf);
            foreach (var (id, words) in Readings)
            {
                var row = commission.Rows.FirstOrDefault(r => r.Id == id);
                Add(id, words, row is { Verdict: not (BandVerdict.NotDone or BandVerdict.Stop) }, row?.Words ?? Phrase.Of($"not taken"), "commission",
                    "readings");
            }
            foreach (var zones in commission.Rows.Where(r => r.Id == "zones"))
                Add("zones", "Each zone alone, then all", zones.Verdict == BandVerdict.Pass, zones.Words, "commission", "readings");
        }
        if (wiring is not null && wiring.Tests.Where(t => t.State != StepState.NotApplicable).ToList() is { Count: > 0 } tests)
        {
            var passed = tests.Count(t => t is { State: StepState.Passed, Locked: false });
            Add("tests", "Tests before power", passed == tests.Count, Phrase.Of($"{passed} of {tests.Count} passed"), "wiring", "tests");
        }
        if (install?.Steps.Where(s => s.PhotoSlot.Length > 0 && s.State == SiteState.Done).ToList() is { Count: > 0 } asked)
        {
            var without = asked.Where(s => s.Photos.Count == 0).ToList();
            Add("photos", "Photographs of what is out of sight now", without.Count == 0, without.Count == 0 ? Phrase.Empty
                : Phrase.Of($"{without.Count} of {asked.Count} are missing, first: {without[0].Name}"), "install", "steps");
        }
        var open = built.Where(b => !b.Confirmed).ToList();
        Add("built", "As built is confirmed", open.Count == 0, open.Count == 0 ? Phrase.Empty
            : Phrase.Of($"{open.Count} of {built.Count} are not: {open[0].Label}"), "handover", "built");
        return rows;
    }
}
