using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Commission;

/// <summary>What a start-up is held against.</summary>
public sealed record StartUpFacts(AcUnit Unit, StartAssessment Start, LoadAssessment Load, CircuitFacts Circuit)
{
    public DryView? Dry { get; init; }

    /// <summary>Heating is proved too.</summary>
    public bool Heats { get; init; }

    public required SourcesDesign Sources { get; init; }

    /// <summary>Charge that is never used, share.</summary>
    public double ReserveSoc { get; init; }
}

/// <summary>A start-up against its prediction, row by row. Bands are common practice; plate and manual win.</summary>
internal static class StartUpTable
{
    private static readonly Dictionary<string, FindingCode> Proofs = new()
    {
        ["vacuum"] = FindingCode.ProofVacuum,
        ["start"] = FindingCode.ProofStart,
        ["volts"] = FindingCode.ProofVolts,
        ["amps"] = FindingCode.ProofAmps,
        ["watts"] = FindingCode.ProofWatts,
        ["split"] = FindingCode.ProofSplit,
        ["sag"] = FindingCode.ProofSag,
        ["pf"] = FindingCode.ProofFactor,
        ["capacity"] = FindingCode.ProofCapacity,
        ["eer"] = FindingCode.ProofEer,
        ["heating"] = FindingCode.ProofHeating,
        ["drain"] = FindingCode.ProofDrain,
        ["zones"] = FindingCode.ProofZones,
        ["array"] = FindingCode.PvBelowExpected,
        ["superheat"] = FindingCode.ProofSuperheat,
        ["subcooling"] = FindingCode.ProofSubcooling,
    };

    /// <summary>Judges the newest start-up that is not corrected by another.</summary>
    public static CommissionAssessment Judge(IReadOnlyList<CommissionRecord> records, StartUpFacts facts)
    {
        var corrected = records.Select(r => r.Corrects).OfType<Guid>().ToHashSet();
        var record = records.LastOrDefault(r => !corrected.Contains(r.Id)); // in the order written: a clock may be set back
        if (record is null)
            return new CommissionAssessment(
                new Verdict(StationState.Open, Phrase.Of($"No start-up is recorded yet."),
                    Phrase.Of($"Start the unit, take the readings and write them down here; each is held against its prediction.")),
                [], Rows(new StartUpReadings(), facts), null, records.Count)
            { Stages = StartStages.Of(new StartUpReadings(), facts) };
        var rows = Rows(record.Readings, facts);
        var done = rows.Count(r => r.Verdict != BandVerdict.NotDone);
        var worst = rows.Max(r => r.Verdict);
        var findings = rows.Where(r => r.Verdict is BandVerdict.Caution or BandVerdict.Stop)
            .Select(r => Finding.Of(Proofs[r.Id], r.Verdict == BandVerdict.Stop ? Severity.Stop : Severity.Caution, r.Words)).ToList();
        var state = worst switch
        {
            BandVerdict.Stop => StationState.Stop,
            BandVerdict.Caution => StationState.Caution,
            _ => done == rows.Count ? StationState.Passed : StationState.Open
        };
        var headline = worst switch
        {
            BandVerdict.Stop => Phrase.Of($"Not proved: {rows.First(r => r.Verdict == BandVerdict.Stop).Label.ToLowerInvariant()} is out of its band."),
            BandVerdict.Caution => Phrase.Of($"Proved with a caution: {rows.First(r => r.Verdict == BandVerdict.Caution).Label.ToLowerInvariant()}."),
            _ when done < rows.Count => Phrase.Of($"{done} of {rows.Count} readings pass; the rest are not taken."),
            _ => Phrase.Of($"Proved: all {rows.Count} readings stand in their bands."),
        };
        return new CommissionAssessment(
            new Verdict(state, headline, Phrase.Of($"Recorded by {record.By}. Bands are common practice; the plate and the manual win.")),
            Finding.Ranked(findings), rows,
            record, records.Count)
        { Stages = StartStages.Of(record.Readings, facts) };
    }

    /// <summary>The rows of the table; the vacuum stands among them where the circuit was opened, or where one was taken all the same.</summary>
    private static List<VerdictRow> Rows(StartUpReadings r, StartUpFacts f) =>
    [
        .. f.Dry is not null || r.VacuumStartPa is not null || r.VacuumEndPa is not null ? [VacuumRow(r, f.Dry)] : Array.Empty<VerdictRow>(),
        StartRow(r, f.Start), VoltsRow(r, f.Unit), .. PowerRows(r, f.Unit, f.Load), SplitRow(r, f.Unit, f.Load), .. StartUpRows.Of(r, f),
    ];

    private static VerdictRow VacuumRow(StartUpReadings r, DryView? dry)
    {
        var band = Phrase.Of($"≤ 500 micron at first, ≤ 1000 after 10 min");
        if (dry is { State: not StationState.Open, NowPa: { } stands })
            return new VerdictRow("vacuum", "Vacuum hold", new Measure(stands, QuantityKind.Vacuum), new Measure(dry.PassPa, QuantityKind.Vacuum), band,
                dry.State switch { StationState.Passed => BandVerdict.Pass, StationState.Caution => BandVerdict.Caution, _ => BandVerdict.Stop }, dry.Words,
                Working.Start().Given("p", "by the curve of the hold", stands, "Pa", Citations.DecayShapes).Done());
        if (r.VacuumStartPa is not { } first || r.VacuumEndPa is not { } after)
            return new VerdictRow("vacuum", "Vacuum hold", null, null, band, BandVerdict.NotDone, Phrase.Of($"not taken"), Working.None);
        var (startMicron, afterMicron) = (first / QuantityTable.PascalsPerMicron, after / QuantityTable.PascalsPerMicron);
        var verdict = PlainDecay.Of(startMicron, afterMicron);
        var working = Working.Start().Given("p₀", "when shut off", startMicron, "micron", Citations.Nist)
            .Given("p₁₀", "ten minutes later", afterMicron, "micron", Citations.Nist)
            .Step("verdict", "p₀ ≤ 500; p₁₀ ≤ 1000 pass, ≤ 2000 caution, above stop", $"{afterMicron:0}", afterMicron, "micron",
                Citations.Trade).Done();
        return new VerdictRow("vacuum", "Vacuum hold", new Measure(after, QuantityKind.Vacuum),
            new Measure(PlainDecay.PassMicron * QuantityTable.PascalsPerMicron, QuantityKind.Vacuum), band,
            PlainDecay.Level(verdict) switch { null => BandVerdict.Pass, Severity.Stop => BandVerdict.Stop, _ => BandVerdict.Caution },
            PlainDecay.Words(verdict, startMicron, afterMicron), working);
    }

    private static VerdictRow StartRow(StartUpReadings r, StartAssessment start)
    {
        var band = Phrase.Of($"≤ 115 % of predicted");
        if (r.StartA is not { } measured || start.MaxA <= 0)
            return new VerdictRow("start", "Start current", null, new Measure(start.MaxA, QuantityKind.Current), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), Working.None);
        var ratio = measured / start.MaxA;
        var beyond = start.LimitA > 0 && measured > start.LimitA * 1.02;
        var verdict = beyond ? BandVerdict.Stop : ratio <= 1.15 ? BandVerdict.Pass : ratio <= 1.5 ? BandVerdict.Caution : BandVerdict.Stop;
        var words = beyond
            ? Phrase.Of($"{measured:Current} is more than the source can give: read again, or the source is another.")
            : Phrase.Of($"{ratio:Fraction} of the predicted {start.MaxA:Current}.");
        return new VerdictRow("start", "Start current", new Measure(measured, QuantityKind.Current), new Measure(start.MaxA, QuantityKind.Current), band,
            verdict, words, Ratio(measured, start.MaxA, "A"));
    }

    private static VerdictRow VoltsRow(StartUpReadings r, AcUnit unit)
    {
        var band = Phrase.Of($"±5 % of nominal");
        var nominal = unit.IsDc ? unit.SupplyVoltageV * 12.8 / 12 : Nominal(unit.SupplyVoltageV);
        if (r.RunV is not { } volts)
            return new VerdictRow("volts", "Volts running", null, new Measure(nominal, QuantityKind.Voltage), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), Working.None);
        var off = volts / nominal - 1;
        var verdict = Math.Abs(off) <= 0.05 ? BandVerdict.Pass : Math.Abs(off) <= 0.10 ? BandVerdict.Caution : BandVerdict.Stop;
        return new VerdictRow("volts", "Volts running", new Measure(volts, QuantityKind.Voltage), new Measure(nominal, QuantityKind.Voltage), band, verdict,
            Phrase.Of($"{off:Fraction} off nominal."), Ratio(volts, nominal, "V"));
    }

    internal static double Nominal(double plateV) => plateV switch { 115 => 120, _ => plateV };

    private static IEnumerable<VerdictRow> PowerRows(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var (predictedW, working) = PredictedPower(r, unit, load);
        var predictedA = predictedW / (Nominal(unit.SupplyVoltageV) * unit.PowerFactorRun);
        var plateA = Nameplate.Of(unit).McaA;
        var near = Phrase.Of($"within 15 % of predicted");
        var known = r.OutdoorC is not null && r.EnteringC is not null;
        yield return Row("amps", "Amperes running", r.RunA, predictedA, QuantityKind.Current, Phrase.Of($"{near} and below the plate's {plateA:Current}"),
            r.RunA > plateA);
        yield return Row("watts", "Watts running", r.RunW, predictedW, QuantityKind.ElectricPower, near, false);

        VerdictRow Row(string id, string label, double? measured, double predicted, QuantityKind quantity, Phrase band, bool abovePlate)
        {
            var expected = new Measure(predicted, quantity);
            if (measured is not { } value)
                return new VerdictRow(id, label, null, expected, band, BandVerdict.NotDone, Phrase.Of($"not taken"), working);
            var off = value / predicted - 1;
            var verdict = abovePlate ? BandVerdict.Stop : Math.Abs(off) <= 0.15 ? BandVerdict.Pass : BandVerdict.Caution;
            var words = abovePlate
                ? Phrase.Of($"Above the plate's {plateA:Current}.")
                : Phrase.Of($"{value / predicted:Fraction} of predicted{(known ? "" : "; without the air temperatures the design heat is assumed")}.");
            return new VerdictRow(id, label, new Measure(value, quantity), expected, band, verdict, words, working);
        }
    }

    internal static (double Watts, Working Working) PredictedPower(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var space = load.Space;
        var entering = r.EnteringC ?? space.SetpointC;
        var outdoor = r.OutdoorC ?? load.OutdoorC[load.PeakHour];
        var wet = EnteringWetBulb(r, entering, space);
        var full = Performance.FullLoad(unit, outdoor, wet);
        var watts = unit.SingleSpeed ? full.PowerW : Performance.Operate(unit, full, unit.RatedCapacityW * full.CapacityFactor).PowerW;
        return (watts, Working.Start().Given("t_o", "outdoor air", outdoor, "°C", Citations.Arithmetic)
            .Given("t_wb", "entering wet bulb", wet, "°C", Citations.Psychrometrics)
            .Step("P", "P_rated·CapFT·EirFT at full demand", $"{unit.RatedPowerW} × {full.CapacityFactor:0.####} × {full.InputRatioFactor:0.####}", watts,
                "W",
                unit.SingleSpeed ? Citations.RooftopCurve : Citations.InverterCurve).Done());
    }

    private static double EnteringWetBulb(StartUpReadings r, double entering, SpaceDescription space)
    {
        var pressure = space.Weather.PressurePa;
        return MoistAir.WetBulb(entering, MoistAir.RatioFromRh(entering, r.EnteringRhPct ?? space.SetpointRhPct, pressure), pressure);
    }

    private static VerdictRow SplitRow(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var space = load.Space;
        var entering = r.EnteringC ?? space.SetpointC;
        var pressure = space.Weather.PressurePa;
        var ratio = MoistAir.RatioFromRh(entering, r.EnteringRhPct ?? space.SetpointRhPct, pressure);
        var full = Performance.FullLoad(unit, r.OutdoorC ?? load.OutdoorC[load.PeakHour], MoistAir.WetBulb(entering, ratio, pressure));
        var flow = Capacity.FlowPerWatt * unit.RatedCapacityW;
        var coil = WetCoil.Split(entering, ratio, full.CapacityW, flow, pressure);
        var mass = flow / MoistAir.SpecificVolume(entering, ratio, pressure);
        var expected = coil.SensibleW / (mass * MoistAir.HeatCapacity(ratio));
        var band = Phrase.Of($"within 20 % or {2.0:TemperatureDifference} of expected");
        var working = Working.Start().Given("V̇", "air flow, 0.05 m³/s for each kW rated", flow, "m³/s", Citations.Trade)
            .Step("q_s", "coil split by bypass factor", $"Q {full.CapacityW:0} W", coil.SensibleW, "W", Citations.Coil)
            .Step("Δt", "q_s/(ṁ·c_p)", $"{coil.SensibleW:0}/({mass:0.####} × {MoistAir.HeatCapacity(ratio):0})", expected, "K", Citations.AirSide).Done();
        if (r.EnteringC is null || r.LeavingC is not { } leaving)
            return new VerdictRow("split", "Air in less air out", null, new Measure(expected, QuantityKind.TemperatureDifference), band, BandVerdict.NotDone,
                Phrase.Of($"not taken"), working);
        var split = entering - leaving;
        var share = split / expected;
        var verdict = Math.Abs(split - expected) <= 2 || share is >= 0.8 and <= 1.2 ? BandVerdict.Pass : share < 0.5 ? BandVerdict.Stop : BandVerdict.Caution;
        var words = share < 0.8 && verdict != BandVerdict.Pass
            ? Phrase.Of($"Too little: {share:Fraction} of expected. Valve shut, low charge, or an inverter-driven unit turned down.")
            : share > 1.2 && verdict != BandVerdict.Pass ? Phrase.Of($"Too much: {share:Fraction} of expected. Dirty filter or slow fan.")
                : Phrase.Of($"{share:Fraction} of expected.");
        return new VerdictRow("split", "Air in less air out", new Measure(split, QuantityKind.TemperatureDifference),
            new Measure(expected, QuantityKind.TemperatureDifference), band, verdict, words, working);
    }

    private static Working Ratio(double measured, double expected, string unit) =>
        Working.Start().Given("measured", "reading", measured, unit, Citations.Arithmetic)
            .Step("ratio", "measured/expected", $"{measured:0.##}/{expected:0.##}", measured / expected, "", Citations.VerdictBands).Done();
}
