using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>A reading of the hold.</summary>
public sealed record HoldRow(Guid Id, double Minute, double GaugePa, double? PipeC, string By);

/// <summary>The pressure test: how high, in which steps, and what the hold says.</summary>
public sealed record TightView
{
    public required StationState State { get; init; }
    public required Phrase Words { get; init; }
    public required Phrase Next { get; init; }
    public required double TargetPa { get; init; }

    /// <summary>The least of all ratings; nothing where one is not known.</summary>
    public required double? LimitPa { get; init; }

    public required string LimitBy { get; init; }
    public required IReadOnlyList<NitrogenStep> Steps { get; init; }
    public required IReadOnlyList<HoldRow> Readings { get; init; }

    /// <summary>Where the gauge would stand now by temperature alone.</summary>
    public double? ExpectedPa { get; init; }

    public double? ChangePa { get; init; }
    public double? UncertaintyPa { get; init; }

    /// <summary>The smallest leak that this hold could show, grams a year, both ways of scaling.</summary>
    public double? ShowsLeastGYear { get; init; }

    public double? ShowsMostGYear { get; init; }
}

/// <summary>Judges the pressure test from what was written down.</summary>
public static class TightProof
{
    /// <summary>Where nothing else limits it; common practice, 400 psi.</summary>
    private const double UsualPa = 400 * QuantityTable.PascalsPerPsi;

    private const double DwellS = 3600, LeastTestPa = 1e5, LeastHeldPa = 1e5;

    /// <summary>A weak test over hours feels the weather where no barometer was read.</summary>
    private const double WeatherFromS = 6 * 3600, WeatherBelowPa = 1e6;

    /// <summary>Holds of the whole circuit, and those of joints that will be hidden, made with blanked ends.</summary>
    public static (IReadOnlyList<NitrogenRecord> Whole, IReadOnlyList<NitrogenRecord> Hidden) Apart(IReadOnlyList<NitrogenRecord> records)
    {
        var blanked = new HashSet<Guid>();
        var now = false;
        foreach (var record in records.Standing())
        {
            if (record.Readings.Begins)
                now = record.Readings.Blanked;
            if (now)
                blanked.Add(records.Root(record).Id);
        }
        var apart = records.ToLookup(r => blanked.Contains(records.Root(r).Id));
        return ([.. apart[false]], [.. apart[true]]);
    }

    /// <summary>Judges.</summary>
    public static (TightView View, List<Finding> Findings, List<Figure> Figures) Of(IReadOnlyList<NitrogenRecord> records, CommissionDesign design,
        CircuitFacts c)
    {
        var (kit, findings, figures) = (design.Nitrogen, new List<Finding>(), new List<Figure>());
        TestLimit? limit = null;
        var missing = "";
        try
        {
            limit = TestLimit.Of(c.ProofPa, kit.FullScalePa, kit.HosePa, kit.FittingsPa);
        }
        catch (InputException e)
        {
            missing = e.Errors[0].Field;
            findings.Add(Finding.Of(FindingCode.NitrogenLimitUnknown, Severity.Stop,
                $"How much pressure {missing} may stand is not known: no test before it is."));
        }
        var target = kit.TargetPa ?? Math.Min(UsualPa, limit?.LimitPa ?? UsualPa);
        if (limit is not null && target > limit.LimitPa * (1 + 1e-9))
            findings.Add(ProofFindings.NitrogenOver(target, limit, new Remedy(Phrase.Of($"Test with {limit.LimitPa:GaugePressure}"),
                Phrase.Of($"what {limit.By} stands"), DesignEdit.Of(design, d => d with { Nitrogen = d.Nitrogen with { TargetPa = limit.LimitPa } }))));
        var standing = records.Standing();
        var begin = standing.FindLastIndex(r => r.Readings.Begins);
        var rows = begin < 0 ? [] : standing.Skip(begin).Where(r => r.Readings.GaugePa is not null).Select((r, i) => (Record: r, Row: new HoldRow(r.Id,
            i == 0 ? 0 : r.Readings.Minute ?? Math.Max(0, (records.Moment(r) - records.Moment(standing[begin])).TotalMinutes),
            r.Readings.GaugePa!.Value, r.Readings.PipeC, r.By))).OrderBy(r => r.Row.Minute).ToList();
        var coldest = rows.Select(r => r.Row.PipeC).OfType<double>().DefaultIfEmpty(design.Vacuum.ColdestC).First();
        var hottest = NitrogenPlan.HottestPa(target, coldest, kit.HottestC, c.AmbientPa);
        if (limit is not null && hottest > limit.LimitPa && target <= limit.LimitPa * (1 + 1e-9))
        {
            var safe = (limit.LimitPa + c.AmbientPa) * (coldest + 273.15) / (kit.HottestC + 273.15) - c.AmbientPa;
            Remedy[] cooler = safe < LeastTestPa ? [] : [new Remedy(Phrase.Of($"Test with {safe:GaugePressure}"),
                Phrase.Of($"then it stays below, even so warm"),
                DesignEdit.Of(design, d => d with { Nitrogen = d.Nitrogen with { TargetPa = Math.Floor(safe / 1000) * 1000 } }))];
            findings.Add(ProofFindings.NitrogenWarms(hottest, kit.HottestC, limit, cooler));
        }
        var stored = NitrogenPlan.StoredJ(target, c.VolumeM3, c.AmbientPa);
        var oxygen = NitrogenPlan.OxygenAfter((target + c.AmbientPa) * c.VolumeM3 / c.AmbientPa, c.RoomM3);
        if (ProofFindings.Oxygen(oxygen) is { } thin)
            findings.Add(thin);
        figures.Add(new Figure("Stored in the gas, kJ", stored / 1000, QuantityKind.Number, Working.Start()
            .Step("E", "p·V·(ln(p/p_amb) − 1 + p_amb/p)", $"{target / 1e6:0.###} MPa gauge in {c.VolumeM3 * 1000:0.##} L", stored, "J", Citations.GasEnergy)
            .Done())
        { Leaf = "tight" });
        var view = new TightView
        {
            State = StationState.Open,
            Words = Phrase.Of($"No hold is written down yet."),
            Next = missing.Length > 0 ? Phrase.Of($"Find out what {missing} stands.")
                : Phrase.Of($"Nitrogen in steps to {target:GaugePressure}, soap at each joint, then begin the hold."),
            TargetPa = target,
            LimitPa = limit?.LimitPa,
            LimitBy = limit?.By ?? missing,
            Steps = NitrogenPlan.Of(target),
            Readings = [.. rows.Select(r => r.Row)],
        };
        return (rows.Count == 0 ? view : Held(view, [.. rows], kit, c, findings, figures), findings, figures);
    }

    private static TightView Held(TightView view, List<(NitrogenRecord Record, HoldRow Row)> rows, NitrogenKit kit, CircuitFacts c, List<Finding> findings,
        List<Figure> figures)
    {
        var (first, last) = (rows[0], rows[^1]);
        if (first.Row.GaugePa < LeastHeldPa || last.Row.GaugePa < 0)
            return view with
            {
                Words = Phrase.Of($"Held at {first.Row.GaugePa:GaugePressure}: too little to prove anything."),
                Next = Phrase.Of($"Nitrogen in steps to {view.TargetPa:GaugePressure}, then begin the hold anew."),
            };
        if (rows.Count == 1)
            return view with
            {
                Words = Phrase.Of($"Held since {first.Row.GaugePa:GaugePressure}."),
                Next = Phrase.Of($"Read again after an hour at least, with the pipe's temperature; a day shows sixty times less."),
            };
        if (first.Row.PipeC is not { } t1 || last.Row.PipeC is not { } t2)
            return view with
            {
                Words = Phrase.Of($"Without its temperature a pressure says nothing."),
                Next = Phrase.Of($"Write down how warm the pipe is beside each reading."),
            };
        var (p1, p2) = (first.Row.GaugePa + Barometer(first.Record, c), last.Row.GaugePa + Barometer(last.Record, c));
        var seconds = Math.Max(1, last.Row.Minute * 60);
        var weather = seconds > WeatherFromS && first.Row.GaugePa < WeatherBelowPa && last.Record.Readings.BarometerPa is null;
        var hold = PressureHold.Judge(p1, t1 + 273.15, p2, t2 + 273.15, kit.MarkPa, kit.ProbeK, seconds, c.VolumeM3, DwellS,
            weatherPa: weather ? PressureHold.WeatherPa : 0);
        LeakEquivalent Equal(double flow) => LeakEquivalent.Of(flow, nitrogen: true, p1, c.AmbientPa, c.Fluid, 298.15, c.AmbientPa);
        var shows = Equal(hold.SmallestVisiblePaM3S);
        var leak = Equal(hold.LeakPaM3S);
        figures.Add(new Figure("Could show from, g a year", shows.MostGYear, QuantityKind.Number, Working.Start()
            .Step("p₂'", "p₁·T₂/T₁", $"{p1 / 1e6:0.####} × {t2 + 273.15:0.##}/{t1 + 273.15:0.##}", hold.ExpectedPa, "Pa", Citations.GayLussac)
            .Step("Δ", "p₂·T₁/T₂ − p₁", $"{p2 / 1e6:0.####} MPa", hold.ChangePa, "Pa", Citations.GayLussac)
            .Step("U", "2·√(r²/6 + 2(p₁·u_T/T₁)² + w²/6)",
                $"r {kit.MarkPa:0} Pa, u_T {kit.ProbeK:0.#} K, weather {(weather ? PressureHold.WeatherPa : 0):0} Pa", hold.UncertaintyPa, "Pa",
                Citations.GayLussac)
            .Step("Q", "V·U/t", $"{c.VolumeM3 * 1000:0.##} L, {seconds / 60:0} min", hold.SmallestVisiblePaM3S, "Pa·m³/s", Citations.LeakScaling)
            .Step("least", "orifice or laminar", $"{Calls.Name(c.Fluid)}", shows.LeastGYear, "g/a", Citations.LeakScaling)
            .Step("most", "orifice or laminar", $"{Calls.Name(c.Fluid)}", shows.MostGYear, "g/a", Citations.LeakScaling).Done())
        { Leaf = "tight" });
        view = view with
        {
            ExpectedPa = hold.ExpectedPa - Barometer(last.Record, c),
            ChangePa = hold.ChangePa,
            UncertaintyPa = hold.UncertaintyPa,
            ShowsLeastGYear = shows.LeastGYear,
            ShowsMostGYear = shows.MostGYear,
        };
        TightView Unsure(PhraseHandler words, PhraseHandler next)
        {
            var said = Phrase.Of(words);
            findings.Add(Finding.Of(FindingCode.HoldUnclear, Severity.Caution, said));
            return view with { State = StationState.Caution, Words = said, Next = Phrase.Of(next) };
        }

        switch (hold.Verdict)
        {
            case HoldVerdict.Tight:
                return view with
                {
                    State = StationState.Passed,
                    Words = Phrase.Of($"Tight: it stands where its temperature puts it. {Small(shows)}"),
                    Next = Phrase.Of($"Let it go outdoors, slowly. Then the vacuum."),
                };
            case HoldVerdict.Leaking:
                var lost = ProofFindings.HoldLeaks(-hold.ChangePa, Phrase.Of($"As refrigerant {DryProof.Range(leak)}."));
                findings.Add(lost);
                return view with { State = StationState.Stop, Words = lost.Words, Next = Phrase.Of($"Soap at pressure, vent, remake, begin again.") };
            case HoldVerdict.HoldTooShort:
                return view with
                {
                    Words = Phrase.Of($"Nothing lost in {last.Row.Minute:Count} min; too short to tell."),
                    Next = Phrase.Of($"Hold an hour at least; a day shows far less."),
                };
            case HoldVerdict.PressureRose:
                return Unsure($"It rose by {hold.ChangePa:GaugePressure} more than its temperature explains.",
                    $"The bottle's valve passes, or the thermometer does not show the gas: shut it, put the probe on the pipe, begin again.");
            case HoldVerdict.TemperatureUnsteady:
                return Unsure($"The temperature is not known well enough: it could hide {hold.UncertaintyPa:GaugePressure}.",
                    $"Probe on the pipe under its insulation, wait for shade or dusk, or hold a day to the same hour.");
            default:
                return Unsure($"The gauge is too coarse: it could hide {hold.UncertaintyPa:GaugePressure}.", $"A finer gauge, or a higher pressure.");
        }
    }

    private static string Small(LeakEquivalent shows) =>
        $"A leak below {DryProof.Range(shows)} would not show.";

    private static double Barometer(NitrogenRecord r, CircuitFacts c) => r.Readings.BarometerPa ?? c.AmbientPa;
}
