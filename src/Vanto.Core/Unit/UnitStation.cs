using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;

namespace Vanto.Core.Unit;

/// <summary>Both schools of sizing.</summary>
public enum SizingSchool { [Called("just enough")] JustEnough, [Called("oversized on purpose")] OversizedOnPurpose }

public sealed record UnitDesign : DesignPart
{
    [Ask("Unit", Options = "units")] public string Chosen { get; init; } = "RT-11-115";
    [Ask("School")] public SizingSchool School { get; init; } = SizingSchool.JustEnough;
    [Field(QuantityKind.TemperatureDifference, 0, 15, Label = "Air at the condenser warmer by", Help = "3 K on a hot roof, 5 K behind a closed grille")]
    public double InletRiseK { get; init; } = 3;
    [Field(QuantityKind.Fraction, 0.3, 1, Label = "Air flow through its filter", Help = "clean 100 %, dirty 85 %, clogged 60 %")]
    public double AirFlowShare { get; init; } = 1;
    [Ask("Heads, one a zone", Most = 9)] public IReadOnlyList<HeadDesign> Heads { get; init; } = [];
    [Ask("Own units")] public IReadOnlyList<AcUnit> Own { get; init; } = [];
}

/// <summary>One indoor head; without any, one head of the unit's whole capacity stands in the first space.</summary>
public sealed record HeadDesign : DesignPart
{
    [Field(QuantityKind.Count, 1, 9, Label = "In space number", Help = "1 is the first space, counted to the rear")] public int Space { get; init; } = 1;
    [Field(QuantityKind.Power, 500, 20000, Label = "Its rated cooling")] public double RatedCapacityW { get; init; } = 2640;
}

/// <summary>What the chosen unit makes of the closed-up, sun-soaked rig, from the peak hour on.</summary>
public sealed record PullDownView(double FromHour, double StartC, double? Minutes, double HumidityPct, double MassC, double[] AirC)
{
    /// <summary>Minutes between two values of the air.</summary>
    public int StepMinutes => Step;

    internal const int Step = 5;

    /// <summary>Minutes after which a set-point that is not reached is waited for no longer.</summary>
    public int LimitMinutes => HeatSoak.LimitMinutes;
}

/// <summary>A size as a school would choose it, with what it costs.</summary>
public sealed record SchoolSize
{
    public required SizingSchool School { get; init; }
    public required string Id { get; init; }
    public required double RatedCapacityW { get; init; }
    public required double LowestW { get; init; }
    public required double Ratio { get; init; }
    public required int HoursBelowMin { get; init; }
    public required double EveningRhPct { get; init; }
    public required double? PullDownMinutes { get; init; }
    public required double StartA { get; init; }
    public required double MassKg { get; init; }
}

/// <summary>Heating in the coldest night.</summary>
public sealed record HeatingView(bool Heats, double NeededW, double CapacityW, BalanceKind? Balance, double? BalanceC);

/// <summary>One candidate at this design day.</summary>
public sealed record Candidate
{
    public required string Id { get; init; }

    public required AcKind Kind { get; init; }

    public required double SupplyVoltageV { get; init; }

    public required bool IsDc { get; init; }

    public required double RatedCapacityW { get; init; }

    public required double CapacityW { get; init; }

    public required double PowerW { get; init; }

    public required double LowestW { get; init; }

    public required double StartA { get; init; }

    public required double RunA { get; init; }

    public required double MassKg { get; init; }

    /// <summary>Rated capacity against the capacity needed.</summary>
    public required double Ratio { get; init; }

    /// <summary>Cooling hours of the design day below its lowest steady capacity.</summary>
    public required int HoursBelowMin { get; init; }

    /// <summary>Room humidity it settles at in the mild evening.</summary>
    public required double EveningRhPct { get; init; }

    public required Severity? Level { get; init; }

    public required Phrase Words { get; init; }

    public required double? NoiseInDb { get; init; }

    public required double? NoiseOutDb { get; init; }

    /// <summary>True where its size is right for this load.</summary>
    internal bool Fits => Level is null or Severity.Note;
}

/// <summary>Result of the Unit station.</summary>
public sealed record UnitAssessment(
    Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures, IReadOnlyList<Candidate> Candidates, double RequiredW, double PeakW,
    string Chosen, AcUnit Unit) : IStationResult
{
    /// <summary>Capacity of the chosen unit at the design heat, W.</summary>
    public double CapacityW { get; init; }
    public PullDownView PullDown { get; init; } = null!;
    public IReadOnlyList<SchoolSize> Schools { get; init; } = [];
    public HeatingView Heating { get; init; } = null!;
}

public sealed class UnitStation : Station<UnitAssessment>
{
    /// <inheritdoc />
    public override string Name => "unit";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads => [typeof(LoadAssessment), typeof(SurveyDesign), typeof(UnitDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job) => UnitSheet.Of(job.Result<UnitAssessment>());

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job) => Assess(job.Design<UnitDesign>(), job.Result<LoadAssessment>());

    /// <inheritdoc />
    public override IEnumerable<LedgerEntry> Ledger(StationInputs job)
    {
        var (load, own, unit) = (job.Result<LoadAssessment>(), job.Result<UnitAssessment>(), job.Result<UnitAssessment>().Unit);
        yield return LoadStation.HeatEntry(load) with
        {
            Limit = Phrase.Of($"unit gives {own.CapacityW:Power}"),
            Share = LedgerEntry.Gauge(load.PeakW, own.CapacityW)
        };
        yield return new LedgerEntry
        {
            Id = "unit",
            Station = Name,
            Value = new Measure(own.CapacityW, QuantityKind.Power),
            Note = unit.SingleSpeed ? Phrase.Of($"one speed") : Phrase.Of($"turns to {unit.MinCapacityW:Power}"),
            Limit = Phrase.Of($"{unit.RatedCapacityW / own.RequiredW:Fraction} of what is needed"),
            Share = LedgerEntry.Gauge(unit.RatedCapacityW, own.RequiredW),
            Mark = LedgerEntry.GaugeMark,
            MoreIsBetter = null,
            State = own.Verdict.State,
        };
        yield return new LedgerEntry
        {
            Id = "weight",
            Station = Name,
            Value = new Measure(WeightKg(job.Design<SurveyDesign>().Sources, unit), QuantityKind.Mass),
            Note = Phrase.Of($"added"),
            Limit = Phrase.Of($"unit, bank, modules"),
            Share = null,
            Mark = null,
            MoreIsBetter = false,
            State = StationState.Passed,
            Sum = true,
        };
    }

    /// <summary>Unit, bank and modules together, kg; bank by chemistry and modules at 11 kg/m² typical, common practice.</summary>
    private static double WeightKg(SourcesDesign sources, AcUnit unit)
    {
        var bank = sources.Battery.Fitted ? CellData.Of(sources.Battery.Chemistry).KgPerKWh * sources.Battery.BankKWh : 0;
        return unit.MassKg + bank + sources.Modules.Count * sources.Modules.RatedW * Modules.KgPerW;
    }

    private const int MildEveningHour = 21;
    private const double QuietEveningShare = 0.15;

    /// <summary>Plates within a tenth of each other run on the same supply.</summary>
    private const double SameVolts = 0.10;

    /// <summary>Compares all units on this design day and judges the chosen one.</summary>
    /// <exception cref="InputException">An unknown unit, or own entries with values out of range.</exception>
    public static UnitAssessment Assess(UnitDesign design, LoadAssessment load)
    {
        var units = UnitCatalogue.All.Concat(design.Own).ToList();
        var chosen = units.FirstOrDefault(u => u.Id == design.Chosen)
            ?? throw new InputException(InputError.NoChoice("unit.chosen", design.Chosen, units.Select(u => u.Id)));
        foreach (var own in design.Own)
            OwnUnits.Check(own);
        var peak = Room(load, load.PeakHour);
        var (required, room) = Capacity.Required(peak);
        var evening = Room(load, MildEveningHour);
        var candidates = units.Select(u => Judge(u, load, design, required, evening)).ToList();
        var own1 = candidates.First(c => c.Id == chosen.Id);
        var pull = PullDown(chosen.RatedCapacityW * Capacity.FlowFactor(design.AirFlowShare), load);
        var heating = Heating(chosen, load);
        var findings = Findings(chosen, own1, candidates, load, design).Concat(SpaceFindings.Of(chosen, design, load, own1.CapacityW, pull, heating)).ToList();
        return new UnitAssessment(Say(own1, required, findings), Finding.Ranked(findings),
            Figures(chosen, own1, load, design, required, room, pull, heating), candidates,
            required, load.PeakW, chosen.Id, chosen)
        {
            CapacityW = own1.CapacityW,
            PullDown = pull,
            Schools = Schools(units, chosen, candidates, load),
            Heating = heating,
        };
    }

    private static PullDownView PullDown(double nominalW, LoadAssessment load)
    {
        var result = PullDowns.FromSoak(load.Soaked, load.Space, load.PeakHour, nominalW);
        return new PullDownView(load.PeakHour, result.StartC, result.Minutes, result.RelativeHumidityPct, result.MassC,
            [.. result.AirByMinuteC.Where((_, i) => (i + 1) % PullDownView.Step == 0).Select(t => Math.Round(t, 2))]);
    }

    private static HeatingView Heating(AcUnit unit, LoadAssessment load)
    {
        var needed = load.Heating.TotalW;
        if (unit.HeatingW <= 0)
            return new HeatingView(false, needed, 0, null, null);
        var (winter, indoor) = (load.WinterC, load.HeatC);
        var capacity = winter < unit.HeatingLowestC ? 0 : HeatingLoad.At(unit.HeatingCurve, winter);
        var (kind, balance) = HeatingLoad.BalancePoint(unit.HeatingCurve, load.Heating.ConductanceWK, indoor);
        return new HeatingView(true, needed, capacity, kind, balance);
    }

    /// <summary>The smallest of the chosen kind that each school would take: just enough, and twice the need.</summary>
    private static List<SchoolSize> Schools(List<AcUnit> units, AcUnit chosen, List<Candidate> candidates, LoadAssessment load)
    {
        var like = candidates.Where(c => c.SupplyVoltageV == chosen.SupplyVoltageV || c.Kind == chosen.Kind).OrderBy(c => c.RatedCapacityW).ToList();
        SchoolSize? Of(SizingSchool school, double ratio) =>
            like.FirstOrDefault(c => c.Ratio >= ratio && (school == SizingSchool.JustEnough || !units.First(u => u.Id == c.Id).SingleSpeed)) is { } c
                ? new SchoolSize
                {
                    School = school,
                    Id = c.Id,
                    RatedCapacityW = c.RatedCapacityW,
                    LowestW = c.LowestW,
                    Ratio = c.Ratio,
                    HoursBelowMin = c.HoursBelowMin,
                    EveningRhPct = c.EveningRhPct,
                    PullDownMinutes = PullDown(c.RatedCapacityW, load).Minutes,
                    StartA = c.StartA,
                    MassKg = c.MassKg,
                }
                : null;
        return [.. new[] { Of(SizingSchool.JustEnough, SizeBand.Begins), Of(SizingSchool.OversizedOnPurpose, 1.5) }.OfType<SchoolSize>()];
    }

    private static RoomHour Room(LoadAssessment load, int hour)
    {
        var space = load.Space;
        return new RoomHour(
            Math.Max(50, load.Day.SensibleW[hour]),
            load.Day.ByCause[(int)Cause.DampPeople][hour] + load.Day.ByCause[(int)Cause.DampAppliances][hour],
            space.InfiltrationKgS,
            DesignDay.HumidityRatio(space.Weather, hour + 0.5),
            DesignDay.AirC(space.Weather, hour + 0.5),
            space.SetpointC,
            space.Weather.PressurePa);
    }

    private static double WetBulb(LoadAssessment load) => MoistAir.WetBulb(load.Space.SetpointC, load.Space.SetpointRatio, load.Space.Weather.PressurePa);

    private static Candidate Judge(AcUnit unit, LoadAssessment load, UnitDesign design, double required, in RoomHour evening)
    {
        var outdoor = load.OutdoorC[load.PeakHour];
        var full = Performance.FullLoad(unit, outdoor, WetBulb(load), design.InletRiseK);
        var most = unit.SingleSpeed ? full.CapacityW : full.CapacityW * unit.MaxShare;
        var power = unit.SingleSpeed ? full.PowerW : Performance.Operate(unit, full, double.MaxValue).PowerW;
        var lowest = unit.SingleSpeed ? full.CapacityW : unit.MinCapacityW * full.CapacityFactor;
        var below = load.TotalW.Count(w => w > 0 && w < lowest);
        most *= Capacity.PlaceFactor(load.Space.Weather.PressurePa, design.AirFlowShare);
        var ratio = unit.RatedCapacityW * Capacity.FlowFactor(design.AirFlowShare) / required;
        var humidity = unit.SingleSpeed
            ? Capacity.SettledSingleSpeed(unit.RatedCapacityW, evening, !unit.FanRestsWithCompressor).RelativeHumidityPct
            : Capacity.SettledModulating(unit.RatedCapacityW, unit.MinShare, evening).RelativeHumidityPct;
        var runA = unit.RatedPowerW / (unit.SupplyVoltageV * unit.PowerFactorRun);
        var (level, words) = SizeBand.Judge(ratio, !unit.SingleSpeed, lowest, load.TotalW.Where(w => w > 0).DefaultIfEmpty(0).Average());
        return new Candidate
        {
            Id = unit.Id,
            Kind = unit.Kind,
            SupplyVoltageV = unit.SupplyVoltageV,
            IsDc = unit.IsDc,
            RatedCapacityW = unit.RatedCapacityW,
            CapacityW = most,
            PowerW = power,
            LowestW = lowest,
            StartA = unit.SingleSpeed ? unit.LockedRotorA : runA,
            RunA = runA,
            MassKg = unit.MassKg,
            Ratio = ratio,
            HoursBelowMin = below,
            EveningRhPct = humidity,
            Level = level,
            Words = words,
            NoiseInDb = unit.NoiseInDb,
            NoiseOutDb = unit.NoiseOutDb,
        };
    }

    private static Verdict Say(Candidate chosen, double required, List<Finding> findings) => new(
        Verdict.Worst(findings),
        Phrase.Of($"{chosen.Id} is {chosen.Words}."),
        Phrase.Of($"{required:Power} nominal is needed; at the design heat it gives {chosen.CapacityW:Power} for {chosen.PowerW:ElectricPower} and settles "
            + $"at {chosen.EveningRhPct:Percent} humidity in the evening."));

    /// <summary>
    /// Another unit that clears a finding: of the same kind where there is one, else any on the same volts, but nothing else for one that may run on
    /// the sun alone; the nearest to what is needed. Empty where none does.
    /// </summary>
    private static Remedy[] Better(UnitDesign design, AcUnit unit, List<Candidate> candidates, Func<Candidate, bool> clears) =>
        [.. candidates.Where(c => c.Id != unit.Id && c.IsDc == unit.IsDc && Math.Abs(c.SupplyVoltageV / unit.SupplyVoltageV - 1) <= SameVolts
            && (c.Kind == unit.Kind || unit.Kind != AcKind.PvAssistedSplit) && clears(c))
            .OrderBy(c => c.Kind == unit.Kind ? 0 : 1).ThenBy(c => Math.Abs(c.Ratio - 1)).Take(1)
            .Select(c => new Remedy(Phrase.Of($"{c.Id}"), Phrase.Of($"{Calls.Name(c.Kind)}, {c.Ratio:Fraction} of what is needed"),
                DesignEdit.Of(design, d => d with { Chosen = c.Id })))];

    private static bool Oversized(Candidate c, bool singleSpeed) => c.Ratio > SizeBand.Ends(!singleSpeed);

    private static IEnumerable<Finding> Findings(AcUnit unit, Candidate chosen, List<Candidate> candidates, LoadAssessment load, UnitDesign design)
    {
        var oversized = Oversized(chosen, unit.SingleSpeed);
        var weight =
            oversized && chosen.Level is not null && design.School == SizingSchool.OversizedOnPurpose && !unit.SingleSpeed ? Severity.Note : chosen.Level;
        if (SizeBand.Finding(unit.Id, chosen.Ratio, weight, chosen.Words) is { } size)
            yield return size with { Remedies = Better(design, unit, candidates, c => c.Fits) };
        var rule = Capacity.AreaRuleW(load.Space.FloorM2);
        var skin = load.Space.Faces.Sum(f => f.AreaM2) + load.Space.Windows.Sum(w => w.AreaM2);
        if (load.PeakW / rule is > 1.4 or < 0.7)
            yield return Finding.Of(FindingCode.CapAreaRule, Severity.Note, Phrase.Of($"By floor area alone one would buy {rule:Power}; the load is "
                + $"{load.PeakW:Power}. The rule was made for houses with about 3 m² of skin for each m² of floor; this one has "
                    + $"{skin / load.Space.FloorM2:Ratio} m², and {load.Space.Windows.Sum(w => w.AreaM2) / load.Space.FloorM2:Ratio} m² of glass."), []);
        if (chosen.HoursBelowMin > 0 && oversized)
            yield return Finding.Of(FindingCode.UnitTurnDown, Severity.Caution,
                Phrase.Of($"In {chosen.HoursBelowMin} hours of the design day the load is below its lowest steady {chosen.LowestW:Power}: it cycles."),
                Better(design, unit, candidates, c => c.Fits && c.HoursBelowMin == 0));
        if (load.Day.SensibleW[MildEveningHour] < QuietEveningShare * load.PeakSensibleW)
            yield return Finding.Of(FindingCode.AirQuietEvening, Severity.Note,
                $"In the evening hardly any cooling is needed: air the rig then, the unit dries little.");
        else if (SizeBand.Damp("In the mild evening the room", chosen.EveningRhPct) is { } damp)
            yield return damp.Level
                == Severity.Note ? damp : damp with { Remedies = Better(design, unit, candidates, c => c.Fits && c.EveningRhPct <= SizeBand.DampPct) };
        if (Nameplate.Estimated(Nameplate.Of(unit)) is { } plate)
            yield return plate;
        var air = load.OutdoorC.Max() + design.InletRiseK;
        if (Performance.OutdoorLimit(unit, air) is { } hot)
            yield return hot;
    }

    private static List<Figure> Figures(AcUnit unit, Candidate chosen, LoadAssessment load, UnitDesign design, double required, RoomHumidity room,
        PullDownView pull, HeatingView heating)
    {
        var outdoor = load.OutdoorC[load.PeakHour];
        var wet = WetBulb(load);
        var full = Performance.FullLoad(unit, outdoor, wet, design.InletRiseK);
        var curve = unit.SingleSpeed ? Citations.RooftopCurve : Citations.InverterCurve;
        return
        [
            new Figure("Nominal capacity needed", required, QuantityKind.Power, Working.Start()
                .Given("q_s", "sensible load in the peak hour", load.PeakSensibleW, "W", Citations.HeatBalance)
                .Given("RH", "room settles at", room.RelativeHumidityPct, "%", Citations.Coil)
                .Given("SHR", "coil's sensible share there", room.SensibleShare, "", Citations.Coil)
                .Step("f_out", "1 − 0.010·(t_o − 35) above 35 °C, 1 − 0.006·(t_o − 35) below", $"t_o {outdoor:0.#} °C", Capacity.OutdoorFactor(outdoor), "",
                    Citations.Derate)
                .Step("Q_nom", "smallest whose sensible cooling carries q_s", $"{load.PeakSensibleW:0}/({room.SensibleShare:0.###} × derate)", required, "W",
                    Citations.Derate).Done()),
            new Figure("It gives at the design heat", chosen.CapacityW, QuantityKind.Power, Working.Start()
                .Given("Q_rated", "rated cooling", unit.RatedCapacityW, "W", Citations.RatingPoint)
                .Step("CapFT", "f(wet bulb, outdoor)/f(19.44, 35)", $"wet bulb {wet:0.##} °C, outdoor {outdoor:0.#} + {design.InletRiseK} K",
                    full.CapacityFactor, "", curve)
                .Step("f", "(0.8 + 0.2a)·(1 − 0.25·(1 − p/101325))", $"air flow {design.AirFlowShare:0%}, p {load.Space.Weather.PressurePa:0} Pa",
                    Capacity.PlaceFactor(load.Space.Weather.PressurePa, design.AirFlowShare), "", Citations.Derate)
                .Step("Q", unit.SingleSpeed ? "Q_rated·CapFT·f" : "Q_rated·CapFT·x_max·f",
                    $"{unit.RatedCapacityW} × {full.CapacityFactor:0.####} × {unit.MaxShare:0.###} × f", chosen.CapacityW, "W", curve).Done()),
            new Figure("and draws", chosen.PowerW, QuantityKind.ElectricPower, Working.Start()
                .Given("P_rated", "rated input", unit.RatedPowerW, "W", Citations.RatingPoint)
                .Step("EirFT", "f(wet bulb, outdoor)/f(19.44, 35)", $"wet bulb {wet:0.##} °C, outdoor {outdoor:0.#} + {design.InletRiseK} K",
                    full.InputRatioFactor, "", curve)
                .Step("P", unit.SingleSpeed ? "P_rated·CapFT·EirFT" : "P_rated·CapFT·EirFT·x·g(x)",
                    $"{unit.RatedPowerW} × {full.CapacityFactor:0.####} × {full.InputRatioFactor:0.####}", chosen.PowerW, "W", curve).Done()),
            new Figure("Rated against needed", chosen.Ratio, QuantityKind.Fraction,
                Working.Start().Step("r", "Q_rated/Q_nom needed", $"{unit.RatedCapacityW}/{required:0}", chosen.Ratio, "", Citations.CapacityBand).Done()),
            new Figure("From soaked to set-point", (pull.Minutes ?? HeatSoak.LimitMinutes) / 60, QuantityKind.Hours, Working.Start()
                .Given("T_0", "closed up in the sun", pull.StartC, "°C", Citations.HeatBalance)
                .Given("T_m", "contents when the air is there", pull.MassC, "°C", Citations.HeatBalance)
                .Step("t", "minute by minute: derated capacity, coil split, humidity; given up after 6 h", $"{unit.RatedCapacityW} W nominal",
                    (pull.Minutes ?? HeatSoak.LimitMinutes) / 60, "h", Citations.Coil).Done()),
            .. heating.Heats
                ? new[] { new Figure("It heats in the coldest night", heating.CapacityW, QuantityKind.Power, Working.Start()
                    .Given("Q_needed", "heating load of that night", heating.NeededW, "W", Citations.Films)
                    .Step("Q_hp", "between the points of its heating curve", $"t_o {load.WinterC} °C", heating.CapacityW, "W", Citations.Derate).Done()) }
                : [],
        ];
    }
}

/// <summary>Checks of units typed in by hand.</summary>
public static class OwnUnits
{
    /// <summary>Refuses an entry whose values do not belong together.</summary>
    /// <exception cref="InputException">All faults at once.</exception>
    public static void Check(AcUnit unit)
    {
        var errors = new List<InputError>();
        void Fault(bool bad, string field, Phrase given, Phrase reason)
        {
            if (bad)
                errors.Add(InputError.Fault($"unit.own.{field}", given, Phrase.Of($"{unit.Id}: {reason}")));
        }
        if (unit.Id.Length == 0 || UnitCatalogue.Find(unit.Id) is not null)
            errors.Add(InputError.Fault("unit.own.id", unit.Id, "An own unit needs a name that the catalogue does not use."));
        Fault(unit.RatedCapacityW / unit.RatedPowerW is < 1.5 or > 8, "ratedPowerW", Phrase.Of($"{unit.RatedPowerW:ElectricPower}"),
            Phrase.Of($"cooling over input is {unit.RatedCapacityW / unit.RatedPowerW:Ratio}; it must be 1.5 to 8"));
        if (unit.SingleSpeed)
            Fault(unit.RlaA <= 0 || unit.LraA > 0 && unit.LraA < 2.5 * unit.RlaA, "lraA", Phrase.Of($"{unit.LraA:Current}"),
                Phrase.Of($"LRA must be at least 2.5 × RLA ({2.5 * unit.RlaA:Current}); got {unit.LraA:Current}"));
        else
        {
            Fault(unit.MinCapacityW / unit.RatedCapacityW is < 0.20 or >= 1, "minCapacityW", Phrase.Of($"{unit.MinCapacityW:Power}"),
                Phrase.Of($"lowest steady cooling must be 20 to 100 % of the rated {unit.RatedCapacityW:Power}; got {unit.MinCapacityW:Power}"));
            Fault(unit.MaxCapacityW / unit.RatedCapacityW is < 1 or > 1.40, "maxCapacityW", Phrase.Of($"{unit.MaxCapacityW:Power}"),
                Phrase.Of($"highest cooling must be 100 to 140 % of the rated {unit.RatedCapacityW:Power}; got {unit.MaxCapacityW:Power}"));
        }
        if (errors.Count > 0)
            throw new InputException(errors);
    }
}
