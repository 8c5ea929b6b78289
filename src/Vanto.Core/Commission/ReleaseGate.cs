using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Commission;

/// <summary>What stands at the valves, as ticked.</summary>
public sealed record ReleaseValues : DesignPart
{
    [Ask("The pump's valve is shut and every hose's way is known")] public bool PumpShut { get; init; }
    [Ask("The core is back in, or the core tool is shut", Help = "else the charge leaves with the hose")] public bool CoreShut { get; init; }
    [Ask("Both caps are off, the key is at hand")] public bool CapsOff { get; init; }
    [Ask("Gloves and glasses on, nobody before the valves")] public bool Shielded { get; init; }
    [Ask("Aired; no flame, no switch")] public bool Aired { get; init; }
    [Ask("Both valves are open to the stop")] public bool Open { get; init; }
    [Ask("Caps are back on and tight", Help = "they are the second seal")] public bool CapsBack { get; init; }
    [Field(QuantityKind.GaugePressure, -90000, 5e6, Label = "Gauge at rest", Help = "unit off for half an hour, in the shade", Optional = true)]
    public double? RestPa { get; init; }
    [Field(QuantityKind.Temperature, -20, 55, Label = "Air round the unit then", Optional = true)] public double? RestC { get; init; }
}

/// <summary>The valves, as they stand when it is written down.</summary>
public sealed record ReleaseRecord(Guid Id, DateTimeOffset At, string By, ReleaseValues Readings, Guid? Corrects)
    : ReadingsRecord<ReleaseValues>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind = new RecordKind<ReleaseRecord, ReleaseValues>("release", "state of the valves",
        (h, readings) => new ReleaseRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>One gate before the valves, or one thing to do after them.</summary>
/// <param name="Field">What is ticked; empty where a proof decides.</param>
/// <param name="Leaf">Where the proof is made; empty for a tick.</param>
/// <param name="After">It comes after the valves are open.</param>
public sealed record ReleaseRow(string Field, string Leaf, Phrase Words, Phrase Said, bool Passed, bool After);

/// <summary>Whether the valves may be opened, and whether all came out well.</summary>
public sealed record ReleaseView(StationState State, Phrase Words, Phrase Next, IReadOnlyList<ReleaseRow> Rows)
{
    /// <summary>The valves are open.</summary>
    public bool Opened { get; init; }

    /// <summary>What stands now, as the next record starts from it.</summary>
    public required ReleaseValues Now { get; init; }

    /// <summary>Gauge at rest that the air's warmth asks for; nothing where refrigerant or warmth is not known.</summary>
    public double? RestExpectedPa { get; init; }
}

/// <summary>The same as the work on site wrote it down: who opened the valves, and whether the leak check with its caps is done.</summary>
public sealed record SiteValves(string By, DateTimeOffset OpenedAt, bool CapsBack);

/// <summary>The gate before the valves. Its rules are common practice; the unit's manual wins.</summary>
public static class ReleaseGate
{
    /// <summary>A vacuum that was proved longer ago proves no more.</summary>
    private static readonly TimeSpan Fresh = TimeSpan.FromHours(24);

    /// <summary>Judges.</summary>
    /// <param name="records">States of the valves, in the order written.</param>
    /// <param name="tight">Where nitrogen is asked.</param>
    /// <param name="dry">Where a vacuum is asked.</param>
    /// <param name="lastHold">When the vacuum was last read.</param>
    /// <param name="circuit">The circuit.</param>
    /// <param name="site">Where the steps on site say that they are open; they count as ticked then.</param>
    public static (ReleaseView View, List<Finding> Findings) Of(IReadOnlyList<ReleaseRecord> records, TightView? tight, DryView? dry,
        DateTimeOffset? lastHold, CircuitFacts circuit, SiteValves? site = null)
    {
        var findings = new List<Finding>();
        var standing = records.Standing();
        var record = standing.LastOrDefault();
        var now = record?.Readings ?? new ReleaseValues();
        if (site is not null)
            now = now with
            {
                PumpShut = true,
                CoreShut = true,
                CapsOff = true,
                Shielded = true,
                Aired = true,
                Open = true,
                CapsBack = now.CapsBack || site.CapsBack,
            };
        var openedAt = site?.OpenedAt ?? standing.FirstOrDefault(r => r.Readings.Open)?.At;
        var rows = new List<ReleaseRow>();
        void Proof(string leaf, PhraseHandler words, bool passed, Phrase said) => rows.Add(new ReleaseRow("", leaf, Phrase.Of(words), said, passed, false));
        void Tick(string field, bool on, bool after = false)
        {
            var ask = ReleaseRecord.Kind.Fields.First(f => f.Path[1..].Equals(field, StringComparison.OrdinalIgnoreCase));
            rows.Add(new ReleaseRow(ask.Path[1..], "", Phrase.Of($"{ask.Label}"),
                on ? Phrase.Of($"{site?.By ?? record!.By}") : Phrase.Empty, on, after));
        }

        if (tight is not null)
            Proof("tight", $"It holds nitrogen", tight.State == StationState.Passed, tight.Words);
        var stale = openedAt is { } opened && lastHold is { } read && opened - read > Fresh;
        if (dry is not null)
            Proof("dry", $"Its vacuum stands, no older than a day", Shown(dry) && !stale, stale
                ? Phrase.Of($"older than a day when it was opened") : dry.Words);
        else
            Proof("dry", $"A charged set, uncut: nothing before its first opening", true, Phrase.Empty);
        if (dry is not null)
        {
            Tick(nameof(ReleaseValues.PumpShut), now.PumpShut);
            Tick(nameof(ReleaseValues.CoreShut), now.CoreShut);
        }
        Tick(nameof(ReleaseValues.CapsOff), now.CapsOff);
        Tick(nameof(ReleaseValues.Shielded), now.Shielded);
        Tick(nameof(ReleaseValues.Aired), now.Aired);
        var barred = rows.Where(r => !r.Passed).ToList();
        Tick(nameof(ReleaseValues.Open), now.Open, after: true);
        Tick(nameof(ReleaseValues.CapsBack), now.CapsBack, after: true);
        var expected = circuit.Refrigerant is { } fluid && now.RestC is { } warm ? ChargeCheck.AtRestPa(fluid, warm, circuit.AmbientPa) : (double?)null;
        if (expected is { } e && now.RestPa is { } rest)
            AtRest(rest, e, findings);
        var view = new ReleaseView(StationState.Open, Phrase.Empty, Phrase.Empty, rows) { Now = now, Opened = now.Open, RestExpectedPa = expected };
        return (Said(view, barred, now, findings), findings);
    }

    /// <summary>Dry and tight; or, where Plan's method has no micron gauge, all that its way can show.</summary>
    private static bool Shown(DryView dry) => dry.State == StationState.Passed || dry is { NoGrossLeak: true, Way: not EvacuationSchool.Micron };

    private static ReleaseView Said(ReleaseView view, List<ReleaseRow> barred, ReleaseValues now, List<Finding> findings)
    {
        if (now.Open && barred.Find(r => r.Leaf.Length > 0) is { } unproved)
        {
            var words = Phrase.Of($"Opened before it was proved: {unproved.Said}");
            findings.Add(Finding.Of(FindingCode.ReleaseUnproved, Severity.Stop, words));
            return view with { State = StationState.Stop, Words = words, Next = Phrase.Of($"Shut both valves. Who may, recovers; then prove it.") };
        }
        if (barred.Find(r => r.Leaf.Length > 0) is { } proof)
            return view with { Words = Phrase.Of($"Do not open the valves yet."), Next = Phrase.Of($"{proof.Said}") };
        if (!now.Open)
            return view with
            {
                Words = barred.Count == 0 ? Phrase.Of($"You may open the valves.")
                    : Phrase.Of($"Proved. {barred.Count:Count} things to see to, then you may open."),
                Next = barred.Count == 0
                    ? Phrase.Of($"Key in to its end, slowly, to the stop; both. A hiss for a second is normal. Then soap every joint.")
                    : Phrase.Of($"Next: {barred[0].Words}"),
            };
        if (!now.CapsBack)
            return view with
            {
                Words = Phrase.Of($"Open. The caps are still off."),
                Next = Phrase.Of($"Caps on, tight: they are the second seal. Soap them too."),
            };
        var caution = findings.Count > 0;
        return view with
        {
            State = caution ? StationState.Caution : StationState.Passed,
            Words = caution ? findings[0].Words : Phrase.Of($"Open, and the caps are on."),
            Next = Phrase.Of($"Soap at every joint, standing; again after the first hot run."),
        };
    }

    private static void AtRest(double restPa, double expectedPa, List<Finding> findings)
    {
        var off = restPa / expectedPa - 1;
        if (Math.Abs(off) > ChargeCheck.AtRestShare)
            findings.Add(Finding.Of(FindingCode.ChargeAtRest, Severity.Caution, $"At rest {restPa:GaugePressure} for {expectedPa:GaugePressure}: "
                + $"{(off < 0 ? "no liquid is left in it, little charge." : "air in it, or a warmer part of the circuit.")}"));
    }
}
