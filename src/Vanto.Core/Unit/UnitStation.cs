using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;

namespace Vanto.Core.Unit;

/// <summary>Which capacity and kind: every unit of the catalogue and one's own against the load.</summary>
public sealed class UnitStation : Station<UnitAssessment>
{
    /// <inheritdoc />
    public override string Name => "unit";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("candidates", "candidates", "Which capacity and kind?"),
        new("chosen", "chosen", "What does the chosen unit do here?"),
        new("pull-down", "pull-down", "How long from closed up in the sun to cool?"),
        new("sheet", "unit sheet", "What does its manual say?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads => [typeof(LoadAssessment), typeof(SurveyDesign), typeof(UnitDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job) => UnitOwnerSheet.Of(job.Result<UnitAssessment>());

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

    /// <summary>Hour at which the evening's humidity is judged.</summary>
    internal const int MildEveningHour = 21;

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
        var judged = candidates.First(c => c.Id == chosen.Id);
        var pull = PullDown(chosen.RatedCapacityW * Capacity.FlowFactor(design.AirFlowShare), load);
        var heating = Heating(chosen, load);
        var findings = UnitFindings.Of(chosen, judged, candidates, load, design)
            .Concat(SpaceFindings.Of(chosen, design, load, judged.CapacityW, pull, heating)).Concat(UnitSheets.Judge(design, chosen)).ToList();
        var sheet = UnitSheets.View(design, chosen);
        return new UnitAssessment(Say(chosen, judged, required, findings), Finding.Ranked(findings),
            Figures(chosen, judged, load, design, required, room, pull, heating), candidates,
            required, load.PeakW, chosen.Id, chosen)
        {
            CapacityW = judged.CapacityW,
            PullDown = pull,
            Schools = Schools(units, chosen, candidates, load),
            Heating = heating,
            Sheet = sheet,
            Answers = Answers(chosen, judged, required, pull, sheet),
        };
    }

    private static Dictionary<string, Phrase> Answers(AcUnit unit, Candidate chosen, double required, PullDownView pull, SheetView sheet) => new()
    {
        ["chosen"] = Phrase.Of($"{unit.NameFirst} gives {chosen.CapacityW:Power} at the design heat; {required:Power} nominal is needed."),
        ["pull-down"] = pull.Minutes is { } minutes
            ? Phrase.Of($"From {pull.StartC:Temperature} closed up it is cool after {minutes / 60:Hours}.")
            : Phrase.Of($"From {pull.StartC:Temperature} closed up it is not cool in {HeatSoak.LimitMinutes / 60.0:Hours}."),
        ["sheet"] = sheet.Index is null ? Phrase.Of($"Its manual is not typed yet; what is typical of its class is taken.")
            : Phrase.Of($"{sheet.Filled} of {sheet.Of} lines are typed{(sheet.Waiting.Count == 0 ? "" : "; the rest is typical of its class")}."),
    };

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
                    Name = c.Name,
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
            Name = unit.Name,
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

    private static Verdict Say(AcUnit unit, Candidate chosen, double required, List<Finding> findings) => new(
        Verdict.Worst(findings),
        Phrase.Of($"{unit.NameFirst} is {chosen.Words}."),
        Phrase.Of($"{required:Power} nominal is needed; at the design heat it gives {chosen.CapacityW:Power} for {chosen.PowerW:ElectricPower} and settles "
            + $"at {chosen.EveningRhPct:Percent} humidity in the evening."));

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
                .Step("f_out", "1 − 0.010·(t_o − 35) above 35 °C, 1 − 0.006·(t_o − 35) below", $"t_o {outdoor:0.#} °C",
                    Capacity.OutdoorFactor(outdoor),
                    "",
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
            new Figure(pull.Minutes is null ? "Not at the set-point after" : "From soaked to set-point", (pull.Minutes ?? HeatSoak.LimitMinutes) / 60,
                QuantityKind.Hours, Working.Start()
                .Given("T_0", "closed up in the sun", pull.StartC, "°C", Citations.HeatBalance)
                .Given("T_m", "contents when the air is there", pull.MassC, "°C", Citations.HeatBalance)
                .Step("t", "minute by minute: derated capacity, coil split, humidity; given up after 6 h", $"{unit.RatedCapacityW} W nominal",
                    (pull.Minutes ?? HeatSoak.LimitMinutes) / 60, "h", Citations.Coil).Done()) { Leaf = "pull-down" },
            .. heating.Heats
                ? new[] { new Figure("It heats in the coldest night", heating.CapacityW, QuantityKind.Power, Working.Start()
                    .Given("Q_needed", "heating load of that night", heating.NeededW, "W", Citations.Films)
                    .Step("Q_hp", "between the points of its heating curve", $"t_o {load.WinterC} °C", heating.CapacityW, "W", Citations.Derate).Done())
                    { Leaf = "chosen" } }
                : [],
        ];
    }
}
