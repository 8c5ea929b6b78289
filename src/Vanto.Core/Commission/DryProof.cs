using System.Collections.Concurrent;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>What the proof of a circuit starts from.</summary>
public sealed record CircuitFacts
{
    public required double AmbientPa { get; init; }
    public required double VolumeM3 { get; init; }
    public required RefrigerantKind? Refrigerant { get; init; }

    /// <summary>Most that the unit may be proved to, gauge; nothing where its sheet does not say.</summary>
    public required double? ProofPa { get; init; }

    public required MethodDesign Method { get; init; }

    /// <summary>Heads on the outdoor unit.</summary>
    public required int Heads { get; init; }

    /// <summary>Joints made on site.</summary>
    public required IReadOnlyList<string> Joints { get; init; }

    /// <summary>Free air of the room, m³.</summary>
    public required double RoomM3 { get; init; }

    /// <summary>Refrigerant that grams a year are said in; where the sheet names none, the commonest.</summary>
    public RefrigerantKind Fluid => Refrigerant ?? RefrigerantKind.R32;
}

/// <summary>A point of the picture.</summary>
public sealed record CurvePoint(double Minute, double Pa);

/// <summary>A reading as it stands in the picture and in the list.</summary>
/// <param name="Pa">Absolute; nothing where no gauge can read that here.</param>
public sealed record VacuumRow(Guid Id, double Minute, double? Pa, string Typed, string By);

/// <summary>The dryness of the circuit: the readings against three stories, what they say and what comes next.</summary>
public sealed record DryView
{
    public required StationState State { get; init; }
    public required Phrase Words { get; init; }

    /// <summary>What to do, in a sentence.</summary>
    public required Phrase Next { get; init; }

    public required IReadOnlyList<VacuumRow> Readings { get; init; }

    /// <summary>Minutes from one reading by hand to the next; common practice.</summary>
    public double ReadEveryMin => 2;

    /// <summary>What fits the readings.</summary>
    public required IReadOnlyList<CurvePoint> Fit { get; init; }

    /// <summary>A leak would go on so.</summary>
    public required IReadOnlyList<CurvePoint> IfLeak { get; init; }

    /// <summary>A dry and tight one would stand so.</summary>
    public required IReadOnlyList<CurvePoint> IfTight { get; init; }

    /// <summary>Where water would boil out at the coldest pipe, Pa.</summary>
    public required double BoilsPa { get; init; }

    public double? NowPa { get; init; }
    public double? HeldMin { get; init; }

    /// <summary>Weight of the shapes that say the same; nothing where none was fitted.</summary>
    public double? Sure { get; init; }

    /// <summary>Minutes to pump again; nothing where that is not what comes next.</summary>
    public double? PumpMin { get; init; }

    /// <summary>Minutes until a dry circuit, and one with a little moisture, is down to the limit with this pump and hose.</summary>
    public double? PlanDryMin { get; init; }

    public double? PlanDampMin { get; init; }

    /// <summary>The same with the core out and a wide short hose.</summary>
    public double? PlanWideMin { get; init; }

    public required double StartPa { get; init; }
    public required double PassPa { get; init; }

    /// <summary>Every way to prove it dry, with what each cannot see.</summary>
    public IReadOnlyList<SchoolRow> Ways => EvacuationSchools.All;

    /// <summary>A needle stood still long enough: no gross leak, and all that this way can show.</summary>
    public bool NoGrossLeak { get; init; }

    /// <summary>The way that Plan's method takes.</summary>
    public required EvacuationSchool Way { get; init; }
}

/// <summary>Judges the vacuum of a circuit from what was written down.</summary>
public static class DryProof
{
    /// <summary>Hand readings are few; with fewer than these no shape is told.</summary>
    private const int LeastByHand = 6;

    /// <summary>Moisture of a pipe that stood open for a while, kg; the model's own.</summary>
    private const double LittleKg = 2e-5;

    private static readonly GasWay Wide = new(9.5e-3, 0.9);

    /// <summary>Minutes that are pumped where nothing better is known, and a hold that tells more; common practice.</summary>
    private const double UsualMin = 30, LongHoldMin = 20;

    private const double Hour = 3600;
    private static readonly ConcurrentDictionary<(EvacuationSetup, double), double?> Known = new();
    private const int MostKnown = 200;

    private sealed record Read(VacuumRow Row, double Seconds, VacuumUnit Unit);

    /// <summary>Judges.</summary>
    /// <param name="records">All of the vacuum, in the order written.</param>
    public static (DryView View, List<Finding> Findings, List<Figure> Figures) Of(IReadOnlyList<VacuumRecord> records, CommissionDesign design, CircuitFacts c)
    {
        var kit = design.Vacuum;
        var findings = new List<Finding>();
        var setup = new EvacuationSetup
        {
            VolumeM3 = c.VolumeM3,
            PumpM3s = kit.PumpM3s,
            UltimatePa = kit.UltimatePa,
            Hose = new(kit.HoseBoreM, kit.HoseM),
            CoreIn = kit.CoreIn,
            AmbientPa = c.AmbientPa,
            Kelvin = kit.ColdestC + 273.15,
        };
        var (reads, begun) = Reads(records, c, findings);
        var view = Judge(reads, begun, kit, setup, c, findings) with
        {
            PlanDryMin = Minutes(setup, kit.StartPa),
            PlanDampMin = Minutes(setup with { BoundKg = LittleKg }, kit.StartPa),
            PlanWideMin = Minutes(setup with { BoundKg = LittleKg, Hose = Wide, CoreIn = false }, kit.StartPa),
        };
        return (view, findings, Figures(view, setup, c));
    }

    private static double? Minutes(EvacuationSetup setup, double pa)
    {
        if (Known.Count > MostKnown)
            Known.Clear();
        return Known.GetOrAdd((setup, pa), k => EvacuationRig.SecondsTo(k.Item1, k.Item2, 2 * Hour)) / 60;
    }

    /// <summary>The readings of the newest hold; where none has begun, all.</summary>
    private static (List<Read> Reads, bool Begun) Reads(IReadOnlyList<VacuumRecord> records, CircuitFacts c, List<Finding> findings)
    {
        var standing = records.Standing();
        var begin = standing.FindLastIndex(r => r.Readings.ShutOff);
        var from = begin < 0 ? 0 : begin;
        var reads = new List<Read>();
        foreach (var r in standing.Skip(from).Where(r => r.Readings.Value is not null))
        {
            var (pa, finding) = VacuumReading.ToAbsolute(r.Readings.Value!.Value, r.Readings.Unit, c.AmbientPa);
            if (finding is not null)
                findings.Add(finding);
            var minute = r.Readings.ShutOff ? 0 : r.Readings.Minute
                ?? Math.Max(0, (records.Moment(r) - records.Moment(standing[from])).TotalMinutes);
            reads.Add(new Read(new VacuumRow(r.Id, minute, pa,
                FormattableString.Invariant($"{r.Readings.Value:0.######} {Calls.Name(r.Readings.Unit)}"), r.By), minute * 60,
                r.Readings.Unit));
        }
        return ([.. reads.OrderBy(r => r.Seconds)], begin >= 0);
    }

    private static DryView Judge(List<Read> reads, bool begun, VacuumKit kit, EvacuationSetup setup, CircuitFacts c, List<Finding> findings)
    {
        var good = reads.Where(r => r.Row.Pa is not null).Select(r => new VacuumPoint(r.Seconds, r.Row.Pa!.Value)).ToList();
        var view = new DryView
        {
            State = StationState.Open,
            Words = Phrase.Of($"No hold is written down yet."),
            Way = c.Method.HandPump ? EvacuationSchool.Hand
                : c.Method.Gauge == GaugeSchool.Micron ? EvacuationSchool.Micron : EvacuationSchool.Compound,
            Next = Phrase.Of($"Pump down to {kit.StartPa:Vacuum}, shut the valve before the pump stops, and write the reading down."),
            Readings = [.. reads.Select(r => r.Row)],
            Fit = [],
            IfLeak = [],
            IfTight = [],
            BoilsPa = MoistAir.SaturationPressure(kit.ColdestC),
            StartPa = kit.StartPa,
            PassPa = kit.PassPa,
            NowPa = good.Count > 0 ? good[^1].Pa : null,
        };
        if (good.Count == 0)
            return view;
        var last = good[^1];
        if (!begun && ProofFindings.WaterWillNotBoil(last.Pa, kit.ColdestC) is { } still)
            findings.Add(still);
        var coarse = reads.Where(r => r.Row.Pa is not null && VacuumReading.FromAir(r.Unit)).Select(r => (VacuumUnit?)r.Unit).LastOrDefault();
        if (coarse is { } unit)
            findings.Add(Finding.Of(FindingCode.VacuumGaugeCannotShow, Severity.Caution,
                $"A gauge in {Calls.Name(unit)} cannot show {kit.StartPa:Vacuum}: it proves no gross leak, and nothing of dryness."));
        if (!begun)
            return view with
            {
                Words = Phrase.Of($"Pumping: {last.Pa:Vacuum}."),
                Next = last.Pa > kit.StartPa ? Phrase.Of($"Pump on, to {kit.StartPa:Vacuum}.")
                    : Phrase.Of($"Low enough: shut the valve before the pump stops, and write the reading down."),
            };
        view = view with
        {
            HeldMin = last.Seconds / 60,
            IfTight = Curve(last.Seconds, t => good[0].Pa + Outgassed(setup, t)),
            IfLeak = last.Seconds > 0 ? Curve(last.Seconds, t => good[0].Pa + Math.Max(0, last.Pa - good[0].Pa) * t / last.Seconds) : [],
        };
        if (good.Count == 1)
            return view with
            {
                Words = good[0].Pa > kit.StartPa ? Phrase.Of($"Shut off at {good[0].Pa:Vacuum}: too early to tell.")
                    : Phrase.Of($"Shut off at {good[0].Pa:Vacuum}; the hold runs."),
                Next = good[0].Pa > kit.StartPa ? Phrase.Of($"Pump on, to {kit.StartPa:Vacuum}.")
                    : Phrase.Of($"Read every two minutes, {LongHoldMin:Count} minutes long; ten readings tell a leak from moisture."),
            };
        if (coarse is not null)
            return Compound(view, good, c, findings);
        var limits = new DecayLimits { StartPa = kit.StartPa, PassPa = kit.PassPa, LeastReadings = LeastByHand };
        var judged = VacuumDecay.Of(good, kit.ColdestC, limits);
        return judged.Best is null ? Plain(view, good, judged, findings)
            : Shaped(view, judged, kit, setup, c, findings, last);
    }

    /// <summary>Half an inch of mercury, what a needle shows; common practice.</summary>
    private const double NeedlePa = 0.5 * QuantityTable.PascalsPerInchOfMercury;

    /// <summary>A needle that reads from the air's pressure: whether it moved, and how large a leak it could not show.</summary>
    private static DryView Compound(DryView view, List<VacuumPoint> good, CircuitFacts c, List<Finding> findings)
    {
        var (rise, seconds) = (good[^1].Pa - good[0].Pa, good[^1].Seconds);
        if (seconds < PlainMin * 60)
            return view with
            {
                Words = Phrase.Of($"Held {seconds / 60:Number} min: too early to tell."),
                Next = Phrase.Of($"Read on, to {PlainMin:Count} minutes at least; an hour shows less."),
            };
        if (rise > NeedlePa)
        {
            var moved = Phrase.Of($"The needle moved: a leak of {Range(Leak(c, c.VolumeM3 * rise / seconds))}, or water.");
            findings.Add(ProofFindings.Decay(Severity.Stop, moved));
            return view with { State = StationState.Stop, Words = moved, Next = Phrase.Of($"Do not open the valves. Nitrogen and soap at every joint.") };
        }
        var unseen = Leak(c, c.VolumeM3 * NeedlePa / seconds);
        return view with
        {
            NoGrossLeak = true,
            State = StationState.Caution,
            Words = Phrase.Of($"No gross leak; dryness is not shown, nor a leak of {Range(unseen)}."),
            Next = Phrase.Of($"A micron gauge shows whether it is dry; else pump long and warm, then soap every joint."),
        };
    }

    /// <summary>Two readings, or too few for a shape: the plain rule.</summary>
    private static DryView Plain(DryView view, List<VacuumPoint> good, DecayJudgement judged, List<Finding> findings)
    {
        var (first, last) = (good[0].Pa / QuantityTable.PascalsPerMicron, good[^1].Pa / QuantityTable.PascalsPerMicron);
        var minutes = good[^1].Seconds / 60;
        if (judged.Reason == DecayReason.Gap && minutes >= PlainMin && good.Count >= LeastByHand)
            return view with
            {
                Words = Phrase.Of($"{last:Count} micron after {minutes:Count} min, with a gap that hides what it did."),
                Next = Phrase.Of($"Read on every two minutes, or shut off anew."),
            };
        if (minutes < PlainMin)
            return view with
            {
                Words = Phrase.Of($"{last:Count} micron after {minutes:Number} min: too early to tell."),
                Next = Phrase.Of($"Read on, to {PlainMin:Count} minutes at least; {LongHoldMin:Count} tell a leak from moisture."),
            };
        var verdict = PlainDecay.Of(first, last);
        var words = PlainDecay.Words(verdict, first, last);
        if (PlainDecay.Level(verdict) is { } level)
            findings.Add(ProofFindings.Decay(level, words));
        return view with
        {
            State = PlainDecay.Level(verdict) switch { null => StationState.Passed, Severity.Stop => StationState.Stop, _ => StationState.Caution },
            Words = words,
            Next = verdict == DecayVerdict.Passed ? Phrase.Of($"Two readings cannot tell more. Open the valves, then soap every joint.")
                : Phrase.Of($"Write down {LeastByHand:Count} readings or more over {LongHoldMin:Count} minutes: their shape tells a leak from moisture."),
        };
    }

    private const double PlainMin = 10;

    private static DryView Shaped(DryView view, DecayJudgement judged, VacuumKit kit, EvacuationSetup setup, CircuitFacts c, List<Finding> findings,
        VacuumPoint last)
    {
        var best = judged.Best!;
        view = view with
        {
            Sure = judged.Confidence,
            Fit = Curve(last.Seconds, t => t < judged.FromS ? double.NaN : best.At(t - judged.FromS)),
        };
        var levels = Rounded(best.A + best.C);
        string Grams() => judged.LeakPaS is { } slope ? $"As refrigerant {Range(Leak(c, slope * c.VolumeM3))}." : "";
        DryView Said(StationState state, PhraseHandler words, PhraseHandler next, Severity? level)
        {
            var said = Phrase.Of(words);
            if (level is { } l)
                findings.Add(ProofFindings.Decay(l, said));
            return view with { State = state, Words = said, Next = Phrase.Of(next) };
        }

        switch (judged.Finding)
        {
            case DecayFinding.Tight:
                return Said(StationState.Passed, $"Dry and tight: {last.Pa:Vacuum} after {last.Seconds / 60:Count} min.",
                    $"Open the valves, then soap every joint: a vacuum shows no small leak.", null);
            case DecayFinding.Leak:
                return Said(StationState.Stop, $"It leaks: it climbs straight on. {Grams()}",
                    $"Do not open the valves. Nitrogen and soap at every joint.", Severity.Stop);
            case DecayFinding.LeakSuspected:
                return Said(StationState.Caution, $"Within the limit, but it climbs straight on: a small leak is likely. {Grams()}",
                    $"Hold {UsualMin:Count} minutes more, or test with nitrogen.", Severity.Caution);
            case DecayFinding.LeakAndMoisture:
                return Said(StationState.Stop, $"It leaks, and it is wet. {Grams()}", $"The leak first: nitrogen and soap. Then pump again.", Severity.Stop);
            case DecayFinding.Moisture:
                var water = levels > FreeWaterShare * view.BoilsPa;
                var minutes = Math.Max(UsualMin, Math.Ceiling((EvacuationRig.SecondsToDry(setup with
                {
                    BoundKg = EvacuationRig.BoundAt(levels, kit.ColdestC)
                }, kit.PassPa) ?? 6 * Hour) / 600) * 10);
                view = view with { PumpMin = minutes };
                return water
                    ? Said(StationState.Stop, $"Wet, not leaking: it levels out at {levels:Vacuum}, where water boils at this warmth.",
                        $"Warm pipes and coil, sweep with dry nitrogen to slightly above the air, change the pump's oil, then pump {minutes:Count} min.",
                        Severity.Stop)
                    : Said(StationState.Stop, $"Wet, not leaking: it levels out near {levels:Vacuum}.",
                        $"Pump {minutes:Count} min more, gas ballast open, then hold again. In a circuit that has run it may be refrigerant leaving the oil.",
                        Severity.Stop);
            default:
                return judged.Reason switch
                {
                    DecayReason.StartTooHigh => Said(StationState.Caution, $"Shut off at {judged.StartPa:Vacuum}: too early to tell.",
                        $"Pump on, to {kit.StartPa:Vacuum}, and hold again.", Severity.Caution),
                    DecayReason.HoldLonger => Said(StationState.Open, $"Cannot tell yet: it is still settling.",
                        $"Hold twice as long: {2 * last.Seconds / 60:Count} min.", null),
                    _ => Said(last.Pa > PlainDecay.LeakMicron * QuantityTable.PascalsPerMicron ? StationState.Caution : StationState.Open,
                        $"Cannot tell: the curve fits more than one story.", $"Hold on to {Math.Max(LongHoldMin, 2 * last.Seconds / 60):Count} min.",
                        last.Pa > PlainDecay.LeakMicron * QuantityTable.PascalsPerMicron ? Severity.Caution : null),
                };
        }
    }

    /// <summary>Two figures of it in microns: a fit knows no more.</summary>
    private static double Rounded(double pa)
    {
        var step = Math.Pow(10, Math.Floor(Math.Log10(Math.Max(1, pa / QuantityTable.PascalsPerMicron))) - 1);
        return Math.Round(pa / QuantityTable.PascalsPerMicron / step) * step * QuantityTable.PascalsPerMicron;
    }

    /// <summary>So near to saturation it is free water.</summary>
    private const double FreeWaterShare = 0.8;

    /// <summary>Rise by what walls give off, after half an hour of pumping, Pa.</summary>
    private static double Outgassed(EvacuationSetup setup, double seconds) =>
        setup.OutgasPaM3s * Hour / setup.VolumeM3 * Math.Log((UsualMin * 60 + seconds) / (UsualMin * 60));

    private static List<CurvePoint> Curve(double lastS, Func<double, double> pa)
    {
        const int points = 60;
        var until = Math.Max(lastS * 1.25, 600);
        return [.. Enumerable.Range(0, points + 1).Select(i => until * i / points).Select(t => new CurvePoint(t / 60, pa(t)))
            .Where(p => double.IsFinite(p.Pa))];
    }

    internal static LeakEquivalent Leak(CircuitFacts c, double flowPaM3s) =>
        LeakEquivalent.Of(flowPaM3s, nitrogen: false, c.AmbientPa, 0, c.Fluid, 298.15, c.AmbientPa);

    /// <summary>Both scalings, never one alone.</summary>
    internal static string Range(LeakEquivalent leak) => leak.MostGYear >= 1000
        ? FormattableString.Invariant($"{leak.LeastGYear / 1000:0.##} to {leak.MostGYear / 1000:0.#} kg a year")
        : FormattableString.Invariant($"{leak.LeastGYear:0.#} to {leak.MostGYear:0.#} g a year");

    private static List<Figure> Figures(DryView view, EvacuationSetup setup, CircuitFacts c)
    {
        var figures = new List<Figure>();
        void Add(string label, double value, QuantityKind kind, WorkingBuilder working) =>
            figures.Add(new Figure(label, value, kind, working.Done()) { Leaf = "dry" });
        var speed = setup.EffectiveSpeed(view.StartPa);
        if (view.PlanDampMin is { } damp)
            Add("Pumping, with a little moisture", damp * 60, QuantityKind.Seconds, Working.Start()
                .Given("V", "inside volume", c.VolumeM3 * 1000, "L", Citations.Geometry)
                .Given("S₀", "pump", setup.PumpM3s * 1000, "L/s", Citations.Trade)
                .Step("S", "pump and hose in series, at the limit", $"bore {setup.Hose.BoreM * 1000:0.#} mm, {setup.Hose.LengthM:0.##} m", speed * 1000, "L/s",
                    Citations.GasFlow)
                .Step("t", "followed in steps of 0.1 s, 20 mg of water held by oil and walls", $"to {view.StartPa:0.#} Pa", damp, "min",
                    Citations.EvacuationModel));
        Add("Water boils below", view.BoilsPa, QuantityKind.Vacuum, Working.Start()
            .Step("p_ws", "saturation at the coldest pipe", $"{setup.Kelvin - 273.15:0.#} °C", view.BoilsPa, "Pa", Citations.Psychrometrics));
        if (view is { HeldMin: > 0 and { } held, NowPa: { } now } && view.Readings is [{ Pa: { } first }, ..] && now > first)
        {
            var flow = (now - first) / (held * 60) * c.VolumeM3;
            var leak = Leak(c, flow);
            Add("Were it all leak, g a year", leak.LeastGYear, QuantityKind.Number, Working.Start()
                .Step("Q", "V·Δp/t", $"{c.VolumeM3 * 1000:0.##} L × {now - first:0.#} Pa / {held:0.#} min", flow, "Pa·m³/s", Citations.LeakScaling)
                .Step("orifice", "Q·p_r/p·√(M_t/M_r)", $"{Calls.Name(c.Fluid)}", leak.OrificeGYear, "g/a", Citations.LeakScaling)
                .Step("laminar", "Q·μ_t/μ_r·(p_r² − p_amb²)/p²", $"{Calls.Name(c.Fluid)}", leak.LaminarGYear, "g/a", Citations.LeakScaling));
        }
        return figures;
    }
}
