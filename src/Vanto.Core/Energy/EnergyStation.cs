using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>What the Energy station needs of the design.</summary>
public sealed record EnergyInputs(SurveyDesign Survey, LoadDesign Load, UnitDesign UnitDesign, AcUnit Unit, EnergyDesign Energy, double ReserveSoc)
{
    /// <summary>The unit, with its cooling as measured where that was taken over.</summary>
    public AcUnit Unit { get; init; } = Energy.MeasuredCapacity is { } share ? Unit.Giving(share) : Unit;

    /// <summary>The rig on its design day where it is solved already.</summary>
    public RigDay? Day { get; init; }

    /// <summary>The fan rests with the compressor though the unit would let it run.</summary>
    public bool FanOnAuto { get; init; }

    /// <summary>Cancels long runs.</summary>
    public CancellationToken Stop { get; init; }
}

/// <summary>The Energy station: the design day and night in time.</summary>
public sealed class EnergyStation : Station<EnergyAssessment>
{
    /// <inheritdoc />
    public override string Name => "energy";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("night", "night", "Will it last the night?"),
        new("kit", "smallest kit", "What is the least that does it?"),
        new("roof", "roof and strings", "What fits on the roof, and in which strings?"),
        new("year", "year", "What becomes of it through a year?"),
        new("stretch", "any stretch", "How does it go through these days?"),
        new("limited", "limited power", "What goes off first, and what does a degree cost?"),
        new("away", "nobody aboard", "What happens while nobody is there?"),
        new("by-hand", "by hand", "Does the pencil agree?"),
        new("options", "options", "Which of the designs is better?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(UnitAssessment), typeof(LoadAssessment), typeof(SurveyDesign), typeof(LoadDesign), typeof(UnitDesign), typeof(EnergyDesign),
            typeof(StartDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job) =>
        EnergySheet.Of(job.Design<SurveyDesign>(), job.Design<EnergyDesign>(), job.Result<EnergyAssessment>());

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var (survey, load, unit) = (job.Design<SurveyDesign>(), job.Design<LoadDesign>(), job.Design<UnitDesign>());
        var inputs = new EnergyInputs(survey, load, unit, job.Result<UnitAssessment>().Unit, job.Design<EnergyDesign>(), job.Design<StartDesign>().ReserveSoc);
        return Assess(inputs with { Day = job.Result<LoadAssessment>().RigDay });
    }

    /// <inheritdoc />
    public override IEnumerable<LedgerEntry> Ledger(StationInputs job)
    {
        var own = job.Result<EnergyAssessment>();
        yield return new LedgerEntry
        {
            Id = "night",
            Station = Name,
            Value = new Measure(own.HeldHours, QuantityKind.Hours),
            Note = Phrase.Of($"of {own.WindowHours:Hours}"),
            Limit = own.HasBattery ? Phrase.Of($"lowest charge {own.MinSoc:Fraction}") : Phrase.Of($"no battery"),
            Share = LedgerEntry.GaugeMark * own.HeldHours / own.WindowHours,
            Mark = LedgerEntry.GaugeMark,
            MoreIsBetter = true,
            State = own.Verdict.State,
        };
        yield return new LedgerEntry
        {
            Id = "sun",
            Station = Name,
            Value = new Measure(own.SunWh, QuantityKind.Energy),
            Note = Phrase.Of($"a day"),
            Limit = Phrase.Of($"the day takes {own.NeedWh:Energy}"),
            Share = LedgerEntry.Gauge(own.SunWh, own.NeedWh),
            Mark = LedgerEntry.GaugeMark,
            MoreIsBetter = true,
            State = StationState.Passed,
        };
    }

    private const int ThermostatStepS = 60;
    private const double MostStartsAnHour = 6;

    /// <summary>Air that people feel as damp and that mould thrives in; common practice.</summary>
    private const double DampPct = 65;
    private static readonly double[] OwnerSetpointsC = [22, 24, 26, 28];

    /// <summary>Runs the day, judges the aim, finds ways out and sets the hand budget beside it.</summary>
    public static EnergyAssessment Assess(EnergyInputs inputs)
    {
        EnergyAim.Check(inputs.Energy);
        inputs = inputs with { Day = inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day };
        var run = new DayRun(inputs, inputs.Day, StepOf(inputs.Unit));
        var (result, energyCase, hours) = run.Run();
        var aim = Aim.Judge(result, energyCase, hours, inputs);
        var hasBattery = inputs.Survey.Sources.Battery.Fitted;
        var ways = aim.Failed ? WaysOut(inputs, aim) : new Ways([], null);
        var ledger = result.Ledger;
        var need = ledger.AirconWh + ledger.DcLoadWh + ledger.AcLoadWh + ledger.InverterLossWh;
        var budget = Budget(inputs, result, need);
        var array = ArrayFindings.Of(inputs.Survey, inputs.Unit);
        var owner = hasBattery ? OwnerTable(inputs) : new OwnerRows([], null);
        var findings =
            Findings(inputs, result, energyCase, hours, aim, ways.Remedies, budget, hasBattery).Concat(ArrayFindings.Judge(inputs.Survey, array)).ToList();
        var humidity = WindowHumidityPct(result, hours, inputs);
        if (humidity is > DampPct)
            findings.Add(Finding.Of(FindingCode.EnergyDamp, Severity.Caution,
                $"In the hours of the aim the air inside stands at {humidity.Value:Percent} of humidity "
                + $"on the mean: damp. Less outside air, a smaller unit that runs longer, or its drying hours help."));
        var away = inputs.Energy.Away.Asked ? Away.Of(inputs) : null;
        if (away is not null)
            findings.AddRange(Away.Findings(inputs, away));
        findings.AddRange(RunFindings.NotClosing(result.Water));
        findings.AddRange(RunFindings.NotClosing(new[] { ledger, ways.Open, owner.Open }.FirstOrDefault(l => l is { Closes: false })));
        return new EnergyAssessment
        {
            Verdict = Say(inputs, aim, result, findings, hasBattery),
            Findings = Finding.Ranked(findings),
            Figures = Figures(inputs, result, aim, need, hasBattery, humidity),
            Series = EnergySeries.Of(result, energyCase, hours, RigDay.StepS / run.StepS),
            WindowHours = aim.WindowHours,
            HeldHours = aim.HeldHours,
            FailureHour = aim.FailureHour,
            FailureCause = aim.Cause,
            MinSoc = result.MinSoc,
            MinSocHour = hours[result.MinSocStep],
            EndSoc = result.EndSoc,
            SunWh = ledger.PvAvailableWh,
            NeedWh = need,
            HasBattery = hasBattery,
            Ledger = ledger,
            Budget = budget,
            Owner = owner.Rows,
            Away = away,
            GeneratorHours = result.GeneratorHours,
            FuelLitres = result.FuelLitres,
            Array = array,
            SizingAim = SizingDays.Sentence(inputs),
            Answers = Answers(inputs, array, budget, away),
        };
    }

    private static Dictionary<string, Phrase> Answers(EnergyInputs inputs, ArrayView array, BudgetComparison budget, AwayRow? away)
    {
        var (count, fits) = (inputs.Survey.Sources.Modules.Count, array.Roof.Count);
        var strings = array.Chosen is { } s ? Phrase.Of($"; {s.Series} in a string give {s.VocColdV:Voltage} on the coldest morning") : Phrase.Empty;
        return new Dictionary<string, Phrase>
        {
            ["roof"] = Phrase.Of($"{Calls.Many(count, "module")} planned, {fits} fit in straight rows{strings}."),
            ["away"] = away is null ? Phrase.Of($"Nobody asked yet what is set while nobody is aboard.")
                : Phrase.Of($"{away.Words}: {away.WhADay:Energy} a day, inside at most {away.WarmestC:Temperature}."),
            ["by-hand"] = Phrase.Of($"By hand {budget.HandWh:Energy} a day, simulated {budget.SimulatedWh:Energy}."),
        };
    }

    /// <summary>Humidity in the hours of the aim, percent, on the mean; null where it is held.</summary>
    private static double? WindowHumidityPct(EnergyResult result, double[] hours, EnergyInputs inputs)
    {
        var pressure = inputs.Day!.Space.Weather.PressurePa;
        var damp = Enumerable.Range(0, hours.Length).Where(k => result.Ratio[k] > 0 && Day.Within(hours[k], inputs.Energy.From, inputs.Energy.To))
            .Select(k => Math.Min(100, MoistAir.RelativeHumidity(result.AirC[k], result.Ratio[k], pressure))).ToList();
        return damp.Count == 0 ? null : damp.Average();
    }

    private sealed record Aim(double WindowHours, double HeldHours, double? FailureHour, string Cause, double CabinAtEndC, double WorstC, double LowestSoc)
    {
        public bool Failed => HeldHours < WindowHours - 0.05;

        public static Aim Judge(EnergyResult result, EnergyCase energyCase, double[] hours, EnergyInputs inputs)
        {
            var design = inputs.Energy;
            var step = energyCase.StepS / 3600;
            double held = 0, worst = double.MinValue, lowest = 1;
            var last = double.NaN;
            double? failure = null;
            var cause = "";
            var window = new AimWindow(inputs, energyCase);
            for (var k = 0; k < hours.Length; k++)
            {
                if (!window.Contains(hours[k]))
                    continue;
                last = result.AirC[k];
                lowest = Math.Min(lowest, result.Soc[k]);
                var low = window.Low(result.Soc[k]);
                if (!window.Settles(hours[k], k * step))
                    worst = Math.Max(worst, result.AirC[k]);
                if (!low && !window.Warm(hours[k], result.AirC[k], k * step))
                {
                    held += step;
                    continue;
                }
                failure ??= hours[k];
                if (cause.Length == 0)
                    cause = low ? "the bank reaches its reserve"
                        : result.Mode[k] is RunMode.Standby or RunMode.Blocked or RunMode.Off && result.AirconW[k] < inputs.Unit.RatedPowerW * 0.2
                        ? "the sources cannot carry the unit" : "the unit is at its full power";
            }
            return new Aim(Day.Length(design.From, design.To), Math.Min(held, Day.Length(design.From, design.To)), failure, cause, last, worst, lowest);
        }
    }

    private static Verdict Say(EnergyInputs inputs, Aim aim, EnergyResult result, List<Finding> findings, bool hasBattery)
    {
        var design = inputs.Energy;
        var headline = aim.Failed
            ? Phrase.Of($"Falls short by {aim.WindowHours - aim.HeldHours:Hours}: {aim.Cause} at {aim.FailureHour ?? 0:HourOfDay}.")
            : hasBattery
                ? result.CutOffHour is { } dark
                    ? Phrase.Of($"Holds all {aim.WindowHours:Hours}, but the bank is empty at {inputs.Energy.StartHour + dark:HourOfDay}.")
                    : Phrase.Of($"Holds all {aim.WindowHours:Hours} and keeps {aim.LowestSoc:Fraction} in the bank.")
                : Phrase.Of($"Holds all {aim.WindowHours:Hours}.");
        var detail = hasBattery
            ? Phrase.Of($"From {design.From:HourOfDay} to {design.To:HourOfDay} at most {design.SetpointC:Temperature}; the cabin ends at "
                + $"{aim.CabinAtEndC:Temperature}. A day later the bank stands at {result.EndSoc:Fraction}.")
            : Phrase.Of(
                $"From {design.From:HourOfDay} to {design.To:HourOfDay} at most {design.SetpointC:Temperature}; the warmest it gets is "
                    + $"{aim.WorstC:Temperature}.");
        return new Verdict(Verdict.Worst(findings), headline, detail);
    }

    private static IEnumerable<Finding> Findings(EnergyInputs inputs, EnergyResult result, EnergyCase energyCase, double[] hours, Aim aim,
        IReadOnlyList<Remedy> ways, BudgetComparison budget, bool hasBattery)
    {
        if (aim.Failed)
            yield return Finding.Of(FindingCode.EnergyAim, aim.HeldHours < 0.5 * aim.WindowHours ? Severity.Stop : Severity.Caution,
                Phrase.Of($"Held {aim.HeldHours:Hours} of {aim.WindowHours:Hours}: {aim.Cause} at {aim.FailureHour ?? 0:HourOfDay}."), ways);
        else if (hasBattery && aim.LowestSoc < inputs.ReserveSoc + 0.05)
            yield return Finding.Of(FindingCode.EnergyNearReserve, Severity.Caution,
                $"The bank falls to {aim.LowestSoc:Fraction}, close to the reserve of {inputs.ReserveSoc:Fraction}.");
        if (hasBattery && RunFindings.Dark(result.CutOffHour) is { } dark)
            yield return dark;
        if (hasBattery && result.EndSoc < inputs.Energy.StartSoc - 0.05)
            yield return Finding.Of(FindingCode.EnergySinks, Severity.Caution,
                $"The day ends with {result.EndSoc:Fraction} in the bank where it began with {inputs.Energy.StartSoc:Fraction}: each day starts lower.");
        if (result.Ledger.CurtailedWh > 0.2 * result.Ledger.PvAvailableWh && result.Ledger.PvAvailableWh > 0)
            yield return Finding.Of(FindingCode.EnergyCurtailed, Severity.Note,
                $"{result.Ledger.CurtailedWh:Energy} of the sun find no taker: cool more by day, or fit fewer modules.");
        if (Math.Abs(budget.HandWh / budget.SimulatedWh - 1) > 0.25)
            yield return Finding.Of(FindingCode.BudgetDisagrees, budget.HandWh < budget.SimulatedWh ? Severity.Caution : Severity.Note,
                $"By hand one would budget {budget.HandWh:Energy}, the simulation finds {budget.SimulatedWh:Energy}: the duty is "
                    + $"{budget.FoundDuty:Fraction}, not {budget.GuessedDuty:Fraction}.");
        if (inputs.Survey.Sources.Alternator is { RatedA: { } rated } alternator
            && OtherSources.JudgeHot(
                OtherSources.DcDc(rated, OtherSources.CruiseShare, alternator.VehicleA, alternator.LimitA, inputs.Survey.Sources.Battery.BankV)) is { } hot)
            yield return hot;
        if (RunFindings.Generator(result.GeneratorHours, result.FuelLitres) is { } generator)
            yield return generator;
        if (result.GeneratorLowLoadHours > 1)
            yield return Finding.Of(FindingCode.GenLowLoad, Severity.Note,
                $"For {result.GeneratorLowLoadHours:Hours} the diesel runs below 30 % of its rating: it soots up. Give it more to do at a time, or a "
                    + $"smaller set.");
        if (result.CompressorHours > 0 && result.CompressorStarts / (hours.Length * energyCase.StepS / 3600) > MostStartsAnHour)
            yield return Finding.Of(FindingCode.UnitShortCycling, Severity.Caution,
                $"The compressor starts {result.CompressorStarts} times in the day: oil and windings suffer. A smaller or an inverter-driven unit, or a "
                    + $"wider thermostat.");
        if (inputs.Survey.Sources.Battery is { Fitted: true, Chemistry: Chemistry.Agm or Chemistry.Flooded } && result.MinSoc < 0.5)
            yield return Finding.Of(FindingCode.BatteryDeep, Severity.Caution, $"A lead bank taken to {result.MinSoc:Fraction} every night ages fast.");
    }

    /// <summary>Ways out that help, and the ledger of a run among them that does not close.</summary>
    private sealed record Ways(IReadOnlyList<Remedy> Remedies, EnergyLedger? Open);

    /// <summary>Hours on the battery by set-point, and the ledger of a run among them that does not close.</summary>
    private sealed record OwnerRows(IReadOnlyList<SetpointHours> Rows, EnergyLedger? Open);

    private static Ways WaysOut(EnergyInputs inputs, Aim before)
    {
        var survey = inputs.Survey;
        var battery = survey.Sources.Battery;
        var modules = survey.Sources.Modules;
        var tries = new List<(Phrase Words, DesignEdit Edit)>();
        if (battery.Fitted && battery.Blocks < 40)
            tries.Add((Phrase.Of($"{battery.Blocks + 1} battery blocks"), DesignEdit.Of(survey, s => s.WithBattery(b => b with { Blocks = b.Blocks + 1 }))));
        if (!survey.Windows.All(SurveyEdits.IsCovered))
            tries.Add((Phrase.Of($"covers in every window"), DesignEdit.Of(survey, s => s.Covered())));
        if (inputs.Energy.SetpointC + 1 <= EnergyDesign.WarmestC)
            tries.Add((Phrase.Of($"{1.0:TemperatureDifference} warmer, {inputs.Energy.SetpointC + 1:Temperature}"),
                DesignEdit.Of(inputs.Energy, e => e with { SetpointC = e.SetpointC + 1 })));
        if (modules.Count is > 0 and <= ModulesDesign.Most - 2)
            tries.Add((Phrase.Of($"two modules more"), DesignEdit.Of(survey, s => s.WithModules(m => m with { Count = m.Count + 2 }))));
        var held = new (double Hours, EnergyLedger Ledger)[tries.Count];
        Parallel.For(0, tries.Count, i => held[i] = Held(With(inputs, tries[i].Edit)));
        return new Ways(
            [.. tries.Zip(held, (t, h) => (t, Gain: h.Hours - before.HeldHours)).Where(x => x.Gain > 0.05).OrderByDescending(x => x.Gain).Take(3)
                .Select(x => new Remedy(x.t.Words, Phrase.Of($"+{x.Gain:Hours}"), x.t.Edit))],
            held.Select(h => h.Ledger).FirstOrDefault(l => !l.Closes));
    }

    /// <summary>The inputs as an edit leaves them; the day is solved anew where the rig itself is another.</summary>
    private static EnergyInputs With(EnergyInputs inputs, DesignEdit edit)
    {
        var survey = edit.Apply(inputs.Survey);
        return inputs with
        {
            Survey = survey,
            Energy = edit.Apply(inputs.Energy),
            Day = ReferenceEquals(survey.Windows, inputs.Survey.Windows) && (survey.Sources.Modules.Count == inputs.Survey.Sources.Modules.Count
                || !survey.Sources.Modules.ShadesRoof) ? inputs.Day : null,
        };
    }

    /// <summary>A single-speed unit is followed minute by minute, as its thermostat switches it.</summary>
    private static int StepOf(AcUnit unit) => unit.SingleSpeed ? ThermostatStepS : RigDay.StepS;

    private static (double Hours, EnergyLedger Ledger) Held(EnergyInputs inputs)
    {
        var (result, energyCase, hours) = new DayRun(inputs, inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day, StepOf(inputs.Unit)).Run();
        return (Aim.Judge(result, energyCase, hours, inputs).HeldHours, result.Ledger);
    }

    private static BudgetComparison Budget(EnergyInputs inputs, EnergyResult result, double simulatedWh)
    {
        var sources = inputs.Survey.Sources;
        var unit = inputs.Unit;
        double Devices(DeviceSupply supply) =>
            inputs.Survey.Devices.Where(d => d.Supply == supply).Sum(d => d.PowerW * (d.From == d.To ? 24 : Day.Length(d.From, d.To)));
        var withInverter = !unit.IsDc && sources.Inverter.Fitted && sources.Battery.Fitted;
        var bank = SourceBuilder.Bank(sources.Battery);
        var perBlock = sources.Battery.Chemistry.IsLithium() ? 12.8 / 12 : 1;
        var idle = withInverter ? SourceBuilder.Inverter(sources.Inverter).IdleW : 0;
        var ac = Devices(DeviceSupply.Ac);
        var dc = Devices(DeviceSupply.Dc);
        var hand = HandBudget.Of(unit.RatedPowerW, 24, inputs.Energy.HandDuty, ac, dc, withInverter ? 0.90 : 0, idle, bank.NominalVoltage * perBlock,
            bank.Cell.UsableDepth);
        var lines = new List<BudgetLine>
        {
            new("unit", FormattableString.Invariant($"{unit.RatedPowerW:0} W × 24 h × {inputs.Energy.HandDuty:0%}"), hand.AirconWh),
            new("devices behind the inverter", FormattableString.Invariant($"{ac:0} Wh"), ac),
            new("inverter", withInverter ? FormattableString.Invariant($"(unit + devices)/0.90 + {idle:0} W × 24 h") : "none",
                hand.DcWh - hand.AirconWh - (withInverter ? ac : 0) - dc),
            new("devices on the battery", FormattableString.Invariant($"{dc:0} Wh"), dc),
        };
        return new BudgetComparison(lines, hand.DcWh, simulatedWh, hand.BankAh, inputs.Energy.HandDuty, result.DutyAgainstRated);
    }

    private static OwnerRows OwnerTable(EnergyInputs inputs)
    {
        var run = new DayRun(inputs with { Energy = inputs.Energy with { StartSoc = 1 } }, inputs.Day!, RigDay.StepS);
        var bank = SourceBuilder.Bank(inputs.Survey.Sources.Battery);
        var energy = (bank.StoredJ(1) - bank.StoredJ(0)) / 3600;
        var design = inputs.Energy;
        var rows = new SetpointHours[OwnerSetpointsC.Length];
        var ledgers = new EnergyLedger[rows.Length];
        Parallel.For(0, rows.Length, i =>
        {
            var (result, energyCase, hours) = run.Run(OwnerSetpointsC[i]);
            ledgers[i] = result.Ledger;
            var inWindow =
                Enumerable.Range(0, hours.Length).Where(k => Day.Within(hours[k], design.From, design.To) && result.Mode[k] != RunMode.Standby).ToList();
            var unit = inWindow.Count == 0 ? 0 : inWindow.Average(k => result.AirconW[k]);
            var others = inWindow.Count == 0 ? 0 : inWindow.Average(k => energyCase.AcLoadW[k] + energyCase.DcLoadW[k]);
            var throughInverter = energyCase.Inverter is not null;
            var lasting = HoursOnBattery.Of(energy, 1, 1, inputs.ReserveSoc, throughInverter && !inputs.Unit.IsDc ? 0.92 : 1,
                energyCase.Inverter?.Model.IdleW ?? 0, unit, Math.Max(1, others));
            rows[i] = new SetpointHours(OwnerSetpointsC[i], unit, lasting, HoursOnBattery.Printed(lasting),
                HoursOnBattery.Printed(BatteryFade.Aged * lasting));
        });
        return new OwnerRows(rows, ledgers.FirstOrDefault(l => !l.Closes));
    }

    private static List<Figure> Figures(EnergyInputs inputs, EnergyResult result, Aim aim, double need, bool hasBattery, double? humidityPct)
    {
        var ledger = result.Ledger;
        var sources = inputs.Survey.Sources;
        var balance = Working.Start()
            .Given("E_unit", "unit", ledger.AirconWh, "Wh", inputs.Unit.SingleSpeed ? Citations.RooftopCurve : Citations.InverterCurve)
            .Given("E_dc", "devices on the battery", ledger.DcLoadWh, "Wh", Citations.Arithmetic)
            .Given("E_ac", "devices on the inverter", ledger.AcLoadWh, "Wh", Citations.Arithmetic)
            .Given("E_inv", "inverter losses", ledger.InverterLossWh, "Wh", Citations.InverterLoss)
            .Step("E", "sum", $"{ledger.AirconWh:0} + {ledger.DcLoadWh:0} + {ledger.AcLoadWh:0} + {ledger.InverterLossWh:0}", need, "Wh",
                Citations.EnergyBalance).Done();
        var figures = new List<Figure>
        {
            new("Hours held", aim.HeldHours, QuantityKind.Hours, Working.Start()
                .Given("window", "hours asked", aim.WindowHours, "h", Citations.EnergyBalance)
                .Step("h", "steps with cabin ≤ set-point + 0.5 K and charge above the reserve", $"reserve {inputs.ReserveSoc:0%}", aim.HeldHours, "h",
                    Citations.EnergyBalance).Done()),
            new("The day takes", need, QuantityKind.Energy, balance),
            new("The sun gives", ledger.PvAvailableWh, QuantityKind.Energy, Working.Start()
                .Step("P", "N·P_stc·G/1000·(1 + γ(T_c − 25))·f", $"{sources.Modules.Count} × {sources.Modules.RatedW} W, f {Modules.TypicalLosses}",
                    ledger.PvAvailableWh, "Wh/day", Citations.Modules)
                .Given("T_c", "T_a + k·G, k", sources.Modules.CellRise(inputs.Survey.Place.WindMs), "K·m²/W", Citations.CellTemperature).Done()),
        };
        if (humidityPct is { } humid && result.Water is { } water)
            figures.Add(new Figure("Humidity inside, on the mean", humid, QuantityKind.Percent, Working.Start()
                .Step("dw/dt", "[ṁ(w_o − w) + gains − Q_latent/h_fg]/(m·b)", $"b {RoomMoisture.StoreFactor}", inputs.Day!.Space.InfiltrationKgS, "kg/s",
                    Citations.Moisture)
                .Given("m_in", "water given off inside in the run", water.GivenOffKg, "kg", Citations.People)
                .Given("m_air", "water that outside air brings", water.AiredKg, "kg", Citations.Psychrometrics)
                .Given("m_coil", "water that the coil drains", water.DrainedKg, "kg", Citations.Coil)
                .Step("RH", "p_v/p_sat, mean of the aim's hours", $"{inputs.Energy.From:0.##} to {inputs.Energy.To:0.##} h", humid, "%",
                    Citations.Psychrometrics)
                .Done()));
        if (hasBattery)
        {
            var bank = SourceBuilder.Bank(sources.Battery);
            figures.Add(new Figure("Lowest charge", result.MinSoc, QuantityKind.Fraction, Working.Start()
                .Step("Q", "Ah·f_T·age", $"{bank.AmpHours:0} Ah at {bank.TemperatureC} °C, {sources.Battery.CapacityLeft:0%} left", bank.CapacityAh, "Ah",
                    Citations.Battery)
                .Step("E", "∫OCV dQ", $"{bank.Cells} cells", (bank.StoredJ(1) - bank.StoredJ(0)) / 3600, "Wh", Citations.Battery)
                .Step("s_min", "lowest of the run", $"start {inputs.Energy.StartSoc:0%}", result.MinSoc, "", Citations.EnergyBalance).Done()));
        }
        return figures;
    }
}
