using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>The rush into the capacitors of an inverter-driven unit when it is switched on; typical figures, common practice.</summary>
public sealed record Precharge(double PeakA, double TauS, Working Working)
{
    /// <summary>What there is to say of a rush without a resistor.</summary>
    /// <param name="peakA">Its peak.</param>
    public static Finding Inrush(double peakA) => Finding.Of(FindingCode.StartDcInrush, Severity.Caution,
        $"Without a resistor {peakA:Current} rush into its capacitors: an arc at the plug, a pitted contactor. Fit a pre-charge resistor and switch.");

    /// <summary>Why a unit driven by electronics starts softly.</summary>
    /// <param name="unit">What it is, as a sentence begins with it.</param>
    public Finding SoftByNature(string unit) => Finding.Of(FindingCode.StartSoftByNature, Severity.Note,
        $"{unit} has no locked rotor: it charges its capacitors with {PeakA:Current} for {3 * TauS:Milliseconds}, waits, then climbs in a minute.");

    /// <summary>Rush of a unit at a voltage.</summary>
    /// <param name="unit">The unit.</param>
    /// <param name="volts">RMS, or of the bank.</param>
    /// <param name="pathOhm">What holds the rush back where no resistor does; null with the unit's own resistor.</param>
    public static Precharge Of(AcUnit unit, double volts, double? pathOhm = null)
    {
        var (resistor, farad) = unit.IsDc ? (25.0, 4700e-6) : volts < 150 ? (30.0, 1500e-6) : (47.0, 680e-6);
        var ohm = pathOhm ?? resistor;
        var peak = (unit.IsDc ? volts : Math.Sqrt(2) * volts) / ohm;
        return new Precharge(peak, ohm * farad, Working.Start()
            .Step("I_peak", unit.IsDc ? "V/R_pre" : "√2·V/R_pre", $"{volts:0.#} V, {ohm} Ω", peak, "A", Citations.Trade)
            .Step("τ", "R_pre·C", $"{ohm} × {farad}", ohm * farad, "s", Citations.Trade).Done())
        { Alternating = !unit.IsDc };
    }

    /// <summary>The rush at a moment, A: of alternating current its effective value.</summary>
    public double At(double seconds) => PeakA / (Alternating ? Math.Sqrt(2) : 1) * Math.Exp(-seconds / TauS);

    /// <summary>True on alternating current, whose peak is √2 times its effective value.</summary>
    private bool Alternating { get; init; }
}

/// <summary>Units that run straight on the bank.</summary>
internal static class DcStart
{
    /// <summary>Plugs and contacts of the path; common practice.</summary>
    private const double ContactOhm = 0.005;

    public static StartAssessment Assess(SurveyDesign survey, StartDesign design, UnitDesign unitDesign, AcUnit unit, double outdoorC)
    {
        var battery = survey.Sources.Battery;
        if (!battery.Fitted)
            throw new InputException("survey.sources.battery", "none", $"{unit.NameFirst} runs straight on a battery bank, and none is on board.");
        var bank = SourceBuilder.Bank(battery);
        var findings = new List<Finding>();
        if (Math.Abs(bank.NominalVoltage / unit.SupplyVoltageV - 1) > StartStation.VoltageApart)
            findings.Add(StartStation.OtherVoltage(unit, "bank", bank.NominalVoltage) with { Remedies = Matching(unitDesign, unit, bank) });
        var most = Performance.MostPowerW(unit, outdoorC);
        var others = survey.Devices.Where(d => d.OnAtStart && d.Supply == DeviceSupply.Dc).ToList();
        var total = most + others.Sum(d => d.PowerW);
        var cable = SourceBuilder.BankCableOhm(battery);
        var now = bank.Sag(design.Soc, total, cable);
        var reserve = bank.Sag(design.ReserveSoc, total, cable);
        var holds = now is { } n && n.CurrentA <= bank.ContinuousA && !TripAccumulators.UnderDcCutOff(n.Voltage, bank.NominalVoltage);
        if (!holds)
            findings.Add(Finding.Of(FindingCode.StartDcBattery, Severity.Stop, now is { } s
                ? Phrase.Of($"At full power it draws {s.CurrentA:Current} from a bank that gives {bank.ContinuousA:Current}; {s.Voltage:Voltage} are left.")
                : Phrase.Of($"The bank cannot deliver {total:ElectricPower} at all."),
                [new Remedy(Phrase.Of($"one battery block more"), Phrase.Of($"{battery.Blocks + 1} in parallel"),
                    DesignEdit.Of(survey, s => s.WithBattery(b => b with { Blocks = b.Blocks + 1 })))]));
        else if (reserve is not { } r || TripAccumulators.UnderDcCutOff(r.Voltage, bank.NominalVoltage))
            findings.Add(Finding.Of(FindingCode.StartDcReserve, Severity.Caution,
                $"At the reserve of {design.ReserveSoc:Fraction} the voltage falls under the cut-off when it runs at full power."));
        var precharge = Precharge.Of(unit, bank.OpenCircuitVoltage(design.Soc), design.NoPrecharge ? bank.Resistance(design.Soc) + cable + ContactOhm : null);
        findings.Add(design.NoPrecharge
            ? Precharge.Inrush(precharge.PeakA) with
            {
                Remedies = [new Remedy(Phrase.Of($"pre-charge resistor"),
                    Phrase.Of($"{Precharge.Of(unit, bank.OpenCircuitVoltage(design.Soc)).PeakA:Current} instead"),
                    DesignEdit.Of(design, d => d with { NoPrecharge = false }))],
            }
            : precharge.SoftByNature("A DC unit"));
        var current = now?.CurrentA ?? 0;
        var voltage = now?.Voltage ?? 0;
        var working = Working.Start()
            .Given("P_max", "input at its highest capacity and the design heat, with neighbours", total, "W", Citations.InverterCurve)
            .Given("U", "open-circuit voltage of the bank", bank.OpenCircuitVoltage(design.Soc), "V", Citations.Battery)
            .Given("R", "bank and cable", bank.Resistance(design.Soc) + cable, "Ω", Citations.Battery)
            .Step("I", "(U − √(U² − 4RP))/2R", $"P {total:0} W", current, "A", Citations.Arithmetic).Done();
        return new StartAssessment
        {
            Verdict = new Verdict(Verdict.Worst(findings),
                findings.Any(f => f.Level == Severity.Stop)
                    ? findings.First(f => f.Level == Severity.Stop).Words
                    : Phrase.Of($"Starts softly on the bank and draws at most {current:Current} of {bank.ContinuousA:Current}."),
                Phrase.Of($"At full power the bank stands at {voltage:Voltage}.")),
            Findings = Finding.Ranked(findings),
            Figures = [new Figure("Most current, running", current, QuantityKind.Current, working),
                new Figure("First rush", precharge.PeakA, QuantityKind.Current, precharge.Working)],
            Outcome = holds && findings.All(f => f.Level != Severity.Stop) ? StartOutcome.Starts : StartOutcome.StartsButCannotRun,
            Cause = holds ? TripCause.None : TripCause.BatteryOverCurrent,
            Trace = SoftClimb.OfBank(precharge, unit, most, bank, design.Soc, cable, total - most),
            Bearing = bank.HasManagementBoard ? BearingPoint.Of(BearingCurve.ManagementBoard, bank.ContinuousA) : [],
            Neighbours = [.. others.Select(d => new StackedLoad(d.Name, d.PowerW, d.PowerW / bank.NominalVoltage, d.MayWait))],
            Remedies = [],
            Stacking = [],
            MaxA = Math.Max(current, precharge.PeakA),
            LimitA = bank.ContinuousA,
            RunA = current,
            RunV = voltage,
            SourceV = bank.NominalVoltage,
            SurgeUsed = current / bank.ContinuousA,
            ContinuousW = bank.ContinuousA * bank.NominalVoltage,
            SurgeW = 2 * bank.ContinuousA * bank.NominalVoltage,
            NeededReduction = null,
            InverterDriven = true,
            PeakShare = current / bank.ContinuousA,
            Answers = StartStation.Answers(others.Count == 0 ? Phrase.Of($"Nothing else is on.")
                : Phrase.Of($"{total - most:ElectricPower} may be on beside it: {string.Join(", ", others.Select(o => o.Name))}."), design, current),
        };
    }

    private static List<Remedy> Matching(UnitDesign unitDesign, AcUnit unit, BatteryBank bank) =>
        [.. UnitCatalogue.All.Where(u => u.IsDc && Math.Abs(bank.NominalVoltage / u.SupplyVoltageV - 1) <= StartStation.VoltageApart)
            .OrderBy(u => Math.Abs(u.RatedCapacityW - unit.RatedCapacityW)).Take(2)
            .Select(u => new Remedy(Phrase.Of($"{u.Name}"), Phrase.Of($"{u.RatedCapacityW:Power}"), DesignEdit.Of(unitDesign, d => d with { Chosen = u.Id })))];
}
