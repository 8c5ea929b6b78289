using System.Text.Json.Serialization;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>What the space is to be held at while the load is found.</summary>
public sealed record LoadDesign : DesignPart
{
    /// <summary>Warmest set-point that can be said.</summary>
    public const double WarmestC = 35;

    [Field(QuantityKind.Temperature, 16, WarmestC, Label = "Hold inside at")] public double SetpointC { get; init; } = 25;
    [Field(QuantityKind.Percent, 20, 80, Label = "Humidity inside")] public double HumidityPct { get; init; } = 50;
    [Field(QuantityKind.Temperature, 3, 30, Label = "Heat to in winter")] public double HeatC { get; init; } = 20;
    [Ask("Measures tried together", Help = "their names, with commas")] public string Trying { get; init; } = "";
}

/// <summary>Watts of one cause over the 24 hours.</summary>
public sealed record CauseSeries(Cause Cause, string Label, bool Damp, double[] Watts);

/// <summary>Peak load at a heading.</summary>
public sealed record HeadingLoad(double HeadingDeg, double PeakW);

/// <summary>A change that could be bought, with what it takes off; it can be taken at once. Weight and cost are rough, common practice.</summary>
public sealed record LoadMeasure
{
    public required string Id { get; init; }

    public required Phrase Words { get; init; }

    public required double PeakChangeW { get; init; }

    public required double DayChangeWh { get; init; }

    /// <summary>How much longer the same cooling lasts through the night, h: night heat saved over the mean night load.</summary>
    public required double NightHours { get; init; }

    public required double MassKg { get; init; }

    public required double Cost { get; init; }

    public required bool Tried { get; init; }

    [JsonIgnore]
    public DesignEdit Edit { get; init; } = DesignEdit.None;

    public IReadOnlyList<DesignChange> Changes => Edit.Changes;

    /// <summary>True where it brings the whole night.</summary>
    public bool AllNight => NightHours >= LoadMeasures.NightLength;
}

/// <summary>Several measures at once, solved together: nothing is counted twice.</summary>
public sealed record MeasuresTogether(IReadOnlyList<string> Ids, double PeakChangeW, double DayChangeWh, double NightHours, double SumOfPeaksW, double MassKg,
    double Cost, [property: JsonIgnore] DesignEdit Edit)
{
    /// <summary>What they change in the design.</summary>
    public IReadOnlyList<DesignChange> Changes => Edit.Changes;

    /// <summary>True where it brings the whole night.</summary>
    public bool AllNight => NightHours >= LoadMeasures.NightLength;
}

/// <summary>One space of the rig on its own.</summary>
public sealed record SpaceLoad(string Name, bool Cooled, double FloorM2, double PeakW, int PeakHour);

/// <summary>The rig at another stand: its peak there as it stands and at its best heading.</summary>
public sealed record StandLoad(string Name, string From, double HeadingDeg, double PeakW, int PeakHour, double BestHeadingDeg, double BestPeakW);

/// <summary>
/// The closed-up rig in the sun, half hour by half hour, and the minutes it stays below temperatures once its unit stops at the hottest hour.
/// </summary>
public sealed record SoakView(double[] AirC, double PeakC, double PeakHour, IReadOnlyList<HoldMinutes> Hold)
{
    /// <summary>Minutes after which a limit that is not reached is looked for no longer.</summary>
    public int LimitMinutes => HeatSoak.HoldLimitMinutes;
}

/// <summary>Minutes until a temperature is reached; empty where it is not within twelve hours.</summary>
/// <param name="LimitC">The temperature.</param>
/// <param name="Minutes">The least over what convection with the fan off may be; this is judged.</param>
/// <param name="Longest">The longest over the same.</param>
public sealed record HoldMinutes(double LimitC, double? Minutes, double? Longest);

/// <summary>Result of the Load station. Hour arrays: index 0 is 00 to 01.</summary>
public sealed record LoadAssessment : IStationResult
{
    public required Verdict Verdict { get; init; }
    public required IReadOnlyList<Finding> Findings { get; init; }
    public required IReadOnlyList<Figure> Figures { get; init; }
    public required IReadOnlyList<CauseSeries> Causes { get; init; }
    public required double[] TotalW { get; init; }
    public required double[] OutdoorC { get; init; }
    public required double PeakW { get; init; }
    public required double PeakSensibleW { get; init; }
    public required double PeakLatentW { get; init; }
    public required int PeakHour { get; init; }
    public required IReadOnlyList<HeadingLoad> Rose { get; init; }
    public required IReadOnlyList<LoadMeasure> Measures { get; init; }

    public MeasuresTogether? Together { get; init; }
    public IReadOnlyList<SpaceLoad> Spaces { get; init; } = [];
    public IReadOnlyList<StandLoad> Stands { get; init; } = [];
    public SoakView Soak { get; init; } = null!;
    public HeatingLoadResult Heating { get; init; } = null!;

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();

    /// <summary>Lengths of the spaces from front to rear, m.</summary>
    internal IReadOnlyList<double> SpaceLengthsM { get; init; } = [];

    /// <summary>Coldest night and what is held in it, °C.</summary>
    internal double WinterC { get; init; }

    internal double HeatC { get; init; }

    /// <summary>The soaked day, for the unit's pull-down.</summary>
    internal HeatSoak Soaked { get; init; } = null!;

    /// <summary>The solved load, for the stations after.</summary>
    internal LoadDay Day { get; init; } = null!;

    /// <summary>The day it was solved on, for runs in time.</summary>
    internal RigDay RigDay { get; init; } = null!;

    /// <summary>The space as described.</summary>
    internal SpaceDescription Space => RigDay.Space;
}

public sealed class LoadStation : Station<LoadAssessment>
{
    /// <inheritdoc />
    public override string Name => "load";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("day", "day", "How much heat must go out, and where does it come from?"),
        new("measures", "what would help", "What would buy most?"),
        new("closed-up", "closed up", "How hot does it get, and how long is it safe without power?"),
        new("heating", "heating", "How much heat does the coldest night want?"),
        new("season", "season", "What does a year ask?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads => [typeof(SurveyAssessment), typeof(SurveyDesign), typeof(LoadDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job)
    {
        var own = job.Result<LoadAssessment>();
        return [new SheetBlock(SheetPlace.Rig, "The rig", SheetForm.Pairs,
            [SheetLine.Pair("Heat at its worst", Phrase.Of($"{own.PeakW:Power} at {own.PeakHour + 0.5:HourOfDay}"))])];
    }

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job) => Assess(job.Design<SurveyDesign>(), job.Design<LoadDesign>());

    /// <inheritdoc />
    public override IEnumerable<LedgerEntry> Ledger(StationInputs job) => [HeatEntry(job.Result<LoadAssessment>())];

    /// <summary>The heat at the peak, not yet held against a unit.</summary>
    public static LedgerEntry HeatEntry(LoadAssessment load) => new LedgerEntry
    {
        Id = "heat",
        Station = "load",
        Value = new Measure(load.PeakW, QuantityKind.Power),
        Note = Phrase.Of($"at {load.PeakHour + 0.5:HourOfDay}"),
        Limit = Phrase.Of($""),
        Share = null,
        Mark = LedgerEntry.GaugeMark,
        MoreIsBetter = false,
        State = load.Verdict.State,
    };

    private const int SweepStepS = 900;

    private static readonly Dictionary<Cause, string> Labels = new()
    {
        [Cause.Roof] = "roof",
        [Cause.Walls] = "walls",
        [Cause.Floor] = "floor",
        [Cause.GlassConduction] = "glass, warmth",
        [Cause.GlassSun] = "sun through glass",
        [Cause.Air] = "outside air",
        [Cause.People] = "people",
        [Cause.Appliances] = "devices",
        [Cause.DampAir] = "damp air",
        [Cause.DampPeople] = "breath and sweat",
        [Cause.DampAppliances] = "steam",
    };

    /// <summary>The design day of the surveyed rig, sixteen headings and what would buy most.</summary>
    public static LoadAssessment Assess(SurveyDesign survey, LoadDesign design)
    {
        var (rigDay, day) = RigDay.Of(survey, design);
        var space = rigDay.Space;
        HeldAirLoad held = new HeldAirLoad(DesignDay.Steps(space.Weather, SweepStepS));
        var rose = Rose(space, held);
        var (measures, together) = LoadMeasures.Find(survey, design, space, held, rose);
        var heating = HeatingLoad.Design(space with { WaterC = survey.Climate.WinterWaterC, GroundC = 10 }, design.HeatC, survey.Climate.WinterC,
            survey.Climate.WinterWindMs);
        var soaked = new HeatSoak(space, rigDay.Drivers);
        var soak = Soak(rigDay, soaked, day.PeakHour);
        var findings = Findings(survey, space, day, rose, measures).Concat(AirFindings.Of(survey, design, space, held, day, soak))
            .Concat(SkinFindings.Of(rigDay, held, day)).ToList();
        var peak = day.PeakHour;
        return new LoadAssessment
        {
            Verdict = Say(day, findings),
            Findings = Finding.Ranked(findings),
            Figures = Figures(space, day, heating, survey, design, soak),
            Causes = [.. Enum.GetValues<Cause>().Select(c => new CauseSeries(c, Labels[c], c >= Cause.DampAir, Rounded(day.ByCause[(int)c])))],
            TotalW = Rounded([.. Enumerable.Range(0, 24).Select(day.Total)]),
            OutdoorC = [.. Enumerable.Range(0, 24).Select(h => DesignDay.AirC(space.Weather, h + 0.5))],
            PeakW = day.PeakW,
            PeakSensibleW = day.SensibleW[peak],
            PeakLatentW = day.LatentW[peak],
            PeakHour = peak,
            Rose = rose,
            Measures = measures,
            Day = day,
            RigDay = rigDay,
            Together = together,
            Spaces = Spaces(survey, design, held),
            Stands = Stands(survey, design),
            Soak = soak,
            Heating = heating,
            Soaked = soaked,
            SpaceLengthsM = [survey.Space.LengthM, .. survey.Further.Select(f => f.Space.LengthM)],
            WinterC = survey.Climate.WinterC,
            HeatC = design.HeatC,
            Answers = Answers(measures, soak, heating, survey, design),
        };
    }

    private static Dictionary<string, Phrase> Answers(IReadOnlyList<LoadMeasure> measures, SoakView soak, HeatingLoadResult heating, SurveyDesign survey,
        LoadDesign design)
    {
        var least = soak.Hold.First(h => h.LimitC == AirFindings.SafeC).Minutes;
        var safe = least is { } minutes ? Phrase.Of($"{minutes:Count} minutes") : Phrase.Of($"twelve hours and more");
        return new Dictionary<string, Phrase>
        {
            ["measures"] = measures.Count == 0 ? Phrase.Of($"Nothing that is bought takes much off here.")
                : Phrase.Of($"Most is bought by {measures[0].Words}: {-measures[0].PeakChangeW:Power} less at the peak."),
            ["closed-up"] = Phrase.Of($"Closed up it reaches {soak.PeakC:Temperature}; without power count on {safe} to {AirFindings.SafeC:Temperature}."),
            ["heating"] = heating.TotalW <= 0 ? Phrase.Of($"The coldest night asks for no heat.")
                : Phrase.Of($"{heating.TotalW:Power} hold {design.HeatC:Temperature} in a night of {survey.Climate.WinterC:Temperature}."),
        };
    }

    /// <summary>Minutes that animals and people can count on; none where it stays below for twelve hours.</summary>
    private static IEnumerable<Figure> Hold(SoakView soak)
    {
        if (soak.Hold.First(h => h.LimitC == AirFindings.SafeC) is not { Minutes: { } least } hold)
            yield break;
        yield return new Figure("Minutes without power", least, QuantityKind.Count, Working.Start()
            .Given("h_c", "convection inside, fan off, least and most", FreeFloat.LeastConvection, "W/m²K", Citations.StillAir)
            .Given("", "and", FreeFloat.MostConvection, "W/m²K", Citations.StillAir)
            .Step("t", "60 s steps from the held day, convection and radiation apart; the least of the range",
                hold.Longest is { } longest ? (FormattableString)$"{least:0} to {longest:0} min" : $"{least:0} min or more", least, "min",
                    Citations.HeatBalance).Done())
        { Leaf = "closed-up" };
    }

    private static double Night(LoadDay day) => Enumerable.Range(0, 24).Where(h => h >= 21 || h < 7).Sum(h => Math.Max(0, day.Total(h)));

    private static double[] Rounded(double[] watts) => Array.ConvertAll(watts, w => Math.Round(w, 2));

    private static SoakView Soak(RigDay day, HeatSoak soaked, int peakHour)
    {
        double[] limits = [28, 30, 32, 35];
        var minutes = HeatSoak.SafeTimes(day.Space, day.Drivers, day.Settled, peakHour, limits);
        var halfHours = soaked.AirC.Length / 48;
        return new SoakView([.. Enumerable.Range(0, 48).Select(i => Math.Round(soaked.AirC[(i + 1) * halfHours - 1], 2))], soaked.Peak.AirC, soaked.Peak.Hour,
            minutes);
    }

    private static List<SpaceLoad> Spaces(SurveyDesign survey, LoadDesign design, HeldAirLoad held) =>
        survey.Further.Count == 0 ? [] : [.. SurveyedSpace.All(survey, design.SetpointC, design.HumidityPct).Select(s =>
        {
            var load = held.Solve(s.Space);
            return new SpaceLoad(s.Name, s.Cooled, s.Space.FloorM2, load.PeakW, load.PeakHour);
        })];

    private static List<StandLoad> Stands(SurveyDesign survey, LoadDesign design) =>
        [.. survey.Stands.Select((stand, i) =>
        {
            var there = SurveyedSpace.Build(survey with { Place = stand.Place, HeadingDeg = stand.HeadingDeg }, design.SetpointC, design.HumidityPct);
            HeldAirLoad held = new HeldAirLoad(DesignDay.Steps(there.Weather, SweepStepS));
            var load = held.Solve(there);
            var best = Rose(there, held).MinBy(r => r.PeakW)!;
            return new StandLoad(stand.Place.Name.Length > 0 ? stand.Place.Name : $"stand {i + 2}", stand.From, stand.HeadingDeg, load.PeakW, load.PeakHour,
                best.HeadingDeg, best.PeakW);
        })];

    private static Verdict Say(LoadDay day, List<Finding> findings)
    {
        if (day.PeakW <= 0)
            return new Verdict(StationState.Caution, Phrase.Of($"No cooling is needed on this day."),
                Phrase.Of($"The space stays below its set-point by itself."));
        var largest = Largest(day);
        return new Verdict(
            Verdict.Worst(findings),
            Phrase.Of($"{day.PeakW:Power} must go out at {day.PeakHour + 0.5:HourOfDay}; the largest part: {Labels[largest]}."),
            Phrase.Of($"{day.ByCause[(int)largest][day.PeakHour]:Power} of {day.PeakW:Power} come from it; {day.LatentW[day.PeakHour]:Power} is moisture. "
                + $"Over the day {day.DayWh:HeatEnergy}."));
    }

    private static Cause Largest(LoadDay day) => Enum.GetValues<Cause>().MaxBy(c => day.ByCause[(int)c][day.PeakHour]);

    private static HeadingLoad[] Rose(SpaceDescription space, HeldAirLoad held)
    {
        var rose = new HeadingLoad[16];
        Parallel.For(0, rose.Length, i => rose[i] = new HeadingLoad(i * 22.5, held.Solve(space with { HeadingDeg = i * 22.5 }).PeakW));
        return rose;
    }

    private static IEnumerable<Finding> Findings(SurveyDesign survey, SpaceDescription space, LoadDay day, IReadOnlyList<HeadingLoad> rose,
        IReadOnlyList<LoadMeasure> measures)
    {
        if (day.PeakW <= 0)
            yield break;
        var sun = day.ByCause[(int)Cause.GlassSun][day.PeakHour];
        if (sun > 0.35 * day.PeakW)
            yield return Finding.Of(FindingCode.LoadGlass, Severity.Caution,
                Phrase.Of($"Sun through glass is {sun / day.PeakW:Fraction} of the peak load; {space.Windows[day.SunniestWindow.Index].Name} lets in most."),
                AsRemedies(measures.Where(m => m.Id == "covers")));
        var perFloor = new ThermalSpace(space).SkinWK / space.FloorM2;
        if (perFloor > 10)
            yield return Finding.Of(FindingCode.LoadBare, Severity.Caution,
                Phrase.Of($"The skin loses {perFloor:Number} W/K for each m² of floor; above 10 is bare."),
                AsRemedies(measures.Where(m => m.Id is "insulation" or "break")));
        var air = day.ByCause[(int)Cause.Air][day.PeakHour] + day.ByCause[(int)Cause.DampAir][day.PeakHour];
        if (air > 0.30 * day.PeakW)
            yield return Finding.Of(FindingCode.AirHot, Severity.Caution,
                Phrase.Of($"Outside air is {air / day.PeakW:Fraction} of the load: a vent fan left on works against the unit."),
                AsRemedies(measures.Where(m => m.Id == "tight")));
        var best = rose.MinBy(r => r.PeakW)!;
        if (best.PeakW < 0.95 * day.PeakW && survey.Kind is not (RigKind.Cabin or RigKind.Workshop))
            yield return Finding.Of(FindingCode.HeadingGain, Severity.Note,
                Phrase.Of($"Nose to {best.HeadingDeg:Angle} the peak is {best.PeakW:Power}, {1 - best.PeakW / day.PeakW:Fraction} less."),
                AsRemedies(measures.Where(m => m.Id == "heading")));
    }

    private static List<Remedy> AsRemedies(IEnumerable<LoadMeasure> measures) =>
        [.. measures.Select(m => new Remedy(m.Words, Phrase.Of($"{m.PeakChangeW:Power}"), m.Edit))];

    private static List<Figure> Figures(SpaceDescription space, LoadDay day, HeatingLoadResult heating, SurveyDesign survey, LoadDesign design, SoakView soak)
    {
        var peak = day.PeakHour;
        var skin = new ThermalSpace(space).SkinWK;
        var working = Working.Start()
            .Given("t_o", "outdoor air in that hour", DesignDay.AirC(space.Weather, peak + 0.5), "°C", Citations.DesignDay)
            .Given("t_i", "held inside", space.SetpointC, "°C", Citations.HeatBalance)
            .Given("ΣUA", "skin, glass and ribs", skin, "W/K", Citations.Films)
            .Given("ρ", "sun that the ground throws back", space.Weather.Albedo, "", Citations.Ground)
            .Given("k", "ground beside it over the air, for each W/m² of sun", space.GroundHeatKPerWm2, "K·m²/W", Citations.Ground)
            .Given("k_s", "and in its own shade, under it", space.RoadHeatKPerWm2, "K·m²/W", Citations.Ground)
            .Given("h_i", "inside, convection and radiation as one film to the air: 7 to 10 % on the safe side", 1 / Layers.InsideFilmCooling(90), "W/m²K",
                Citations.Films)
            .Step("ṁ", "ρ·ACH·V/3600", $"{space.AirDensity:0.####} × {space.AirChangesPerHour} × {space.VolumeM3:0.##}/3600", space.InfiltrationKgS,
                "kg/s",
                Citations.HeatBalance);
        foreach (var cause in Enum.GetValues<Cause>())
            working.Step($"q {Labels[cause]}", "heat balance, mean of the hour", $"hour {peak + 1}", day.ByCause[(int)cause][peak], "W", cause switch
            {
                Cause.GlassSun or Cause.GlassConduction => Citations.Glass,
                Cause.People or Cause.DampPeople => Citations.People,
                Cause.DampAir or Cause.Air => Citations.Psychrometrics,
                Cause.Appliances or Cause.DampAppliances => Citations.Arithmetic,
                _ => Citations.SolAir,
            });
        working.Step("Q", "sensible + latent", $"{day.SensibleW[peak]:0.#} + {day.LatentW[peak]:0.#}", day.PeakW, "W", Citations.HeatBalance);
        return
        [
            new Figure("Peak load", day.PeakW, QuantityKind.Power, working.Done()),
            new Figure("of it sensible", day.SensibleW[peak], QuantityKind.Power, working.Done()),
            new Figure("of it moisture", day.LatentW[peak], QuantityKind.Power, working.Done()),
            new Figure("Heat of the day", day.DayWh, QuantityKind.HeatEnergy,
                Working.Start().Step("Q_day", "Σ of 24 hourly means × 1 h", $"peak {day.PeakW:0} W", day.DayWh, "Wh", Citations.HeatBalance).Done()),
            new Figure("of it by night", Night(day), QuantityKind.HeatEnergy,
                Working.Start().Step("Q_night", "Σ of the hourly means from 21:00 to 07:00", $"10 of 24 hours", Night(day), "Wh", Citations.HeatBalance)
                    .Done()),
            new Figure("Closed up it reaches", soak.PeakC, QuantityKind.Temperature, Working.Start().Step("T",
                "the day repeated with nobody in, nothing on and nothing cooling", $"at {soak.PeakHour:0.0} h", soak.PeakC, "°C",
                Citations.HeatBalance).Done()) { Leaf = "closed-up" },
            .. Hold(soak),
            new Figure("Coldest night takes", heating.TotalW, QuantityKind.Power, Working.Start()
                .Given("ΣUA + ṁc", "skin, glass, ribs and air, winter films", heating.ConductanceWK, "W/K", Citations.Films)
                .Step("roof", "U·A·ΔT", $"{design.HeatC} − {survey.Climate.WinterC} K", heating.RoofW, "W", Citations.Films)
                .Step("walls", "U·A·ΔT", $"{design.HeatC} − {survey.Climate.WinterC} K", heating.WallsW, "W", Citations.Films)
                .Step("floor", "U·A·ΔT to what is under it", $"wind {survey.Climate.WinterWindMs} m/s", heating.FloorW, "W", Citations.Films)
                .Step("glass", "U·A·ΔT", $"with its covers", heating.GlassW, "W", Citations.Glass)
                .Step("air", "ṁ·c·ΔT", $"{space.InfiltrationWK:0.##} W/K", heating.AirW, "W", Citations.HeatBalance)
                .Step("Q", "sum, no sun, no gains", $"{design.HeatC} °C inside", heating.TotalW, "W", Citations.HeatBalance).Done()) { Leaf = "heating" },
        ];
    }
}
