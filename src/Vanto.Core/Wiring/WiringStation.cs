using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Wiring;

/// <summary>How the rig is wired: the unit's circuit, battery and sun, ties of neutral, the cable between, a soft starter, tests before power,
/// papers.</summary>
public sealed class WiringStation : Station<WiringAssessment>
{
    /// <summary>Stands on every leaf and every paper of wiring.</summary>
    public static readonly IReadOnlyList<string> Cautions =
    [
        "Vanto advises. Local code, the authority having jurisdiction and a licensed electrician decide.",
        "The unit's nameplate and its manual come before every computed value.",
        "Nothing is connected or changed live. Isolate, lock, prove dead, wait for capacitors.",
        "A battery cannot be switched off: its terminals stay live and can give thousands of amperes. Insulated tools, no jewellery, one terminal at a time.",
        "Strings of modules are live whenever there is light.",
        "Tables of codes and standards are recalled, not checked against the books.",
    ];

    /// <inheritdoc />
    public override string Name => "wiring";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Design;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("circuits", "circuits", "Which breaker, which wire, does it fit?"),
        new("battery", "battery and sun", "Which cable and fuse at the battery and the modules?"),
        new("bonding", "bonding", "One tie of neutral to earth, whatever feeds it?"),
        new("between", "between the units", "Which colour on which terminal?"),
        new("starter", "soft starter", "Which winding is which, and where does each wire go?"),
        new("tests", "tests", "What is measured before power?"),
        new("papers", "papers", "What is bought, cut and labelled?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
    [
        typeof(UnitAssessment), typeof(LayoutAssessment), typeof(SurveyDesign), typeof(UnitDesign), typeof(StartDesign), typeof(LayoutDesign),
        typeof(WiringDesign), typeof(PowerTestRecord),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps => [PowerTestRecord.Kind];

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var s = WiringSetting.Of(job.Design<WiringDesign>(), job.Design<SurveyDesign>(), job.Design<UnitDesign>(), job.Design<StartDesign>(),
            job.Design<LayoutDesign>(), job.Result<LayoutAssessment>(), job.Result<UnitAssessment>().Unit);
        var (branch, battery, pv) = (BranchPlan.Of(s), BatteryPlan.Of(s), PvPlan.Of(s));
        List<BankCircuit> bank = battery is null ? [] : [battery.Circuit];
        if (s.Unit.IsDc && s.Sources.Battery.Fitted && branch.Wire is { } wire)
            bank.Add(BankCircuit.Of(s, "unit", branch.RunA, branch.DeviceA, wire.Name, wire.AmpacityA ?? 0));
        var tests = PowerTests.Of(s, branch, job.Records<PowerTestRecord>());
        var result = new WiringAssessment(new Verdict(StationState.Open, Phrase.Empty, Phrase.Empty), [], [])
        {
            Rules = s.Unit.IsDc ? s.DcRules : s.Rules,
            RulesWords = s.Unit.IsDc ? Calls.Name(s.DcRules) : s.Rules == s.DcRules || !s.HasInverter
                ? Calls.Name(s.Rules) : $"{Calls.Name(s.Rules)}, battery side {Calls.Name(s.DcRules)}",
            Branch = branch,
            Battery = battery,
            Pv = pv,
            BankCircuits = bank,
            BankChecks = [.. battery?.Checks(s.Design.Battery) ?? [], .. bank.Where(x => x != battery?.Circuit).SelectMany(x => x.Checks(s.Design.Battery))],
            Dc = s.Unit.IsDc,
            Metric = s.Metric && !s.Unit.IsDc,
            Circuits = WiringPapers.Schedule(s, branch, battery, pv),
            Bonds = Bonds(s),
            Between = Between(s),
            Starter = s.SoftStarter ? Starter(s.Design.SoftStarter) : null,
            Tests = tests,
            TestAsks = PowerTests.Asks(s),
            Line = SingleLine.Of(s, branch, battery, pv),
            BreakerLabels = WiringPapers.Labels(s, branch),
            TakeOff = WiringPapers.TakeOff(s, branch, battery, pv),
        };
        var findings = Finding.Ranked(new WiringFindings { S = s, R = result }.All());
        return result with { Verdict = Say(s, result, findings), Findings = findings, Figures = Figures(s, result), Answers = Answers(result) };
    }

    /// <summary>Every state that can be, with its ties.</summary>
    private static IReadOnlyList<BondRow> Bonds(WiringSetting s)
    {
        if (s.Unit.IsDc && !s.HasInverter)
            return [];
        var d = s.Design.Bonding;
        var sources = new List<(string Name, BondRule Rule)> { ("shore", BondRule.Always) };
        if (s.HasInverter)
            sources.Add(("inverter", d.Inverter));
        if (s.Sources.Generator.Fitted)
            sources.Add(("generator", d.Generator));
        List<NeutralBond> bonds = [.. sources.Select(x => new NeutralBond(x.Name, x.Rule, x.Name))];
        if (d.BoardBond)
            bonds.Add(new NeutralBond("load", BondRule.Always, "board"));
        var rows = new List<BondRow>();
        foreach (var (active, _) in sources)
            foreach (var plugged in active == "shore" ? [true] : d.CordStays ? new[] { false, true } : [false])
            {
                var id = active == "shore" || !plugged ? active : $"{active}, cord plugged in";
                var links = sources.Where(x => x.Name == active || !d.NeutralSwitched && (x.Name != "shore" || plugged))
                    .Select(x => new NeutralLink("load", x.Name, [id])).ToList();
                var count = BondingPlan.Count("load", links, bonds, new SupplyState(id, active));
                var lone = active == "generator" && count.Bonds.Count == 0;
                rows.Add(count.Bonds.Count switch
                {
                    0 => new BondRow(id, [], lone ? Severity.Caution : Severity.Stop, lone
                        ? Phrase.Of($"Floating: a first fault trips nothing; a ground-fault device may not work on it.")
                        : Phrase.Of($"No tie: a fault to earth trips nothing and the case may be live.")),
                    1 when count.OnActive || count.Bonds[0] == "board" => new BondRow(id, count.Bonds, null, Phrase.Of($"One tie, at the {count.Bonds[0]}.")),
                    1 => new BondRow(id, count.Bonds, Severity.Caution, Phrase.Of($"The one tie is at the {count.Bonds[0]}, not at what gives the power.")),
                    _ => new BondRow(id, count.Bonds, Severity.Stop, Phrase.Of($"Two ties, at {string.Join(" and ", count.Bonds)}: neutral's current "
                        + $"runs in the earth and the chassis, and residual-current devices trip.")),
                });
            }
        return rows;
    }

    private static BetweenView Between(WiringSetting s)
    {
        var d = s.Design.Between;
        List<Landed> rows = s.BetweenM is null ? [] : [.. d.Terminals.Select(t => new Landed(t.Label, t.Role, t.Head, t.Outdoor))];
        var net = s.Pump ? PumpInterlock.AsBuilt(d.Fed, d.PumpFused, d.AlarmFused, d.DataThroughAlarm, d.OldCoreLeft, s.AlarmWired) : [];
        var shown = s.Pump ? net.Select(e => (e.From, Calls.Name(e.Part), e.To))
            : rows.Select(l => ($"Head.{l.Label}", Calls.Name(l.Head), $"Out.{l.Label}"));
        return new BetweenView(rows, EndsCompared.Of(rows), d.Fed, s.Pump ? PumpInterlock.Verify(net) : null,
            [.. shown.Select((e, i) => new ConnectionRow(i + 1, e.Item1, e.Item2, e.Item3))],
            [.. rows.Where(r => r.Label.Length <= 3).Select(r => CoreLabels.Of("A", r.Label, r.Role))], s.BetweenM)
        {
            Picture = s.Pump ? LinePicture.Of(net) : null,
        };
    }

    private static StarterView Starter(SoftStarterDesign d)
    {
        var windings = Windings.Of(d.AbOhm, d.AcOhm, d.BcOhm, d.LeadsOhm, d.StepOhm);
        var words = windings.Verdict == WindingVerdict.Named ? $"{windings.Common} is common, {windings.Run} run, {windings.Start} start"
            : d is { AbOhm: null, AcOhm: null, BcOhm: null } ? "three readings name the terminals" : Calls.Name(windings.Verdict);
        string At(string letter, WindingWire wire) => letter.Length > 0 ? $"compressor {letter} ({Calls.Name(wire)})" : $"compressor {Calls.Name(wire)}";
        var wires = new[]
        {
            (WindingWire.Common, d.LeadsCommon, d.CommonColour, d.ControlCommon, d.CompressorCommon, windings.Common),
            (WindingWire.Run, d.LeadsRun, d.RunColour, d.ControlRun, d.CompressorRun, windings.Run),
            (WindingWire.Start, d.LeadsStart, d.StartColour, d.ControlStart, d.CompressorStart, windings.Start),
        };
        var rows = new List<StarterMapRow>();
        foreach (var (wire, leads, colour, control, compressor, letter) in wires)
        {
            if (!leads)
            {
                rows.Add(new StarterMapRow(rows.Count + 1, $"control {Calls.Name(wire)}", At(letter, wire), Calls.Name(colour), "stays as it is", true));
                continue;
            }
            var (supply, load) = (StarterLead.SupplyCommon + (int)wire, StarterLead.LoadCommon + (int)wire);
            rows.Add(new StarterMapRow(rows.Count + 1, $"control {Calls.Name(wire)}", $"device {Calls.Name(supply)}", Calls.Name(colour), Calls.Name(control),
                control == supply));
            rows.Add(new StarterMapRow(rows.Count + 1, $"device {Calls.Name(load)}", At(letter, wire), Calls.Name(colour), Calls.Name(compressor),
                compressor == load));
        }
        return new StarterView(windings, words, rows);
    }

    private static Verdict Say(WiringSetting s, WiringAssessment r, IReadOnlyList<Finding> findings)
    {
        var state = Verdict.Worst(findings);
        var worst = findings.FirstOrDefault(f => f.Level == Severity.Stop);
        var b = r.Branch;
        var headline = b.Wire is null ? Phrase.Of($"No size of wire is enough for {b.NeedA:Current} over {b.WayM:Length}.")
            : s.Unit.IsDc ? Phrase.Of($"{b.Wire.Name} on a fuse of {b.DeviceA:Current}; {b.Wire.DropShare:Fraction} lost over {b.WayM:Length}.")
            : Phrase.Of($"{b.Wire.Name} on {b.DeviceA:Current}, at most {b.MaximumA:Current}; {b.Wire.DropShare:Fraction} lost over {b.WayM:Length}.");
        return new Verdict(state, headline, worst is not null ? worst.Words
            : Phrase.Of($"By {r.RulesWords} rules, recalled; plate, local code and a licensed electrician decide."));
    }

    private static Dictionary<string, Phrase> Answers(WiringAssessment r)
    {
        var ends = r.Between.Ends;
        var named = r.Between.Rows.Count == 0 ? Phrase.Of($"The unit is one piece: no cable between.")
            : ends.Astray.Count == 0 && ends.Doubled.Count == 0
                ? Phrase.Of($"Both ends agree: {string.Join(", ", r.Between.Rows.Select(l => $"{Calls.Name(l.Head)} on {l.Label}"))}.")
            : ends.Crossed ? Phrase.Of($"{string.Join(" and ", ends.Astray.Select(a => Calls.Name(a.Colour)))} are crossed: "
                + $"move {Calls.Many(ends.Moves.Count, "core")} at the {(ends.AtHead ? "head" : "outdoor unit")}.")
            : Phrase.Of($"A core is open or stands twice: look at both ends.");
        var ties = r.Bonds.Where(b => b.Level is not null).ToList();
        var done = r.Tests.Count(t => t.State == StepState.Passed);
        return new Dictionary<string, Phrase>
        {
            ["battery"] = r.Battery is { } bank
                ? bank.Asked.Length == 0
                    ? Phrase.Of($"No cable carries {bank.Circuit.Amps:Current} within the drop: a higher voltage, a shorter way or more cables.")
                    : Phrase.Of($"{bank.Circuit.Amps:Current} for hours ask for {bank.Asked} and a fuse of {bank.Circuit.FuseA:Current} made to break "
                        + $"{bank.Circuit.ShortA:Current}.")
                : r.BankCircuits.Count > 0 ? Phrase.Of($"The unit's fuse of {r.BankCircuits[0].FuseA:Current} must break {r.BankCircuits[0].ShortA:Current}.")
                : Phrase.Of($"No inverter on a battery."),
            ["bonding"] = r.Bonds.Count == 0 ? Phrase.Of($"Nothing here has a neutral.")
                : ties.Count == 0 ? Phrase.Of($"One tie of neutral to earth in {Calls.Many(r.Bonds.Count, "state")} of {r.Bonds.Count:Count}.")
                : Phrase.Of($"{ties[0].State}: {ties[0].Words}"),
            ["between"] = named,
            ["starter"] = r.Starter is { } starter ? Phrase.Of($"{char.ToUpperInvariant(starter.Words[0])}{starter.Words[1..]}.")
                : Phrase.Of($"No soft starter is chosen at Start."),
            ["tests"] = r.Tests.FirstOrDefault(t => t.State == StepState.Failed) is { } failed ? Phrase.Of($"Failed: {failed.Name}. {failed.Words}")
                : r.Tests.FirstOrDefault(t => t.State == StepState.Open) is { } next ? Phrase.Of($"{done:Count} done; next: {next.Name}.")
                : Phrase.Of($"All {done:Count} are done: the breaker may be closed."),
            ["papers"] = Phrase.Of($"{Calls.Many(r.Circuits.Count, "circuit")}, {Calls.Many(r.TakeOff.Count, "line")} to buy or cut, "
                + $"{Calls.Many(r.BreakerLabels.Count + r.Between.Labels.Count * 2, "label")}."),
        };
    }

    private static IReadOnlyList<Figure> Figures(WiringSetting s, WiringAssessment r)
    {
        var figures = new List<Figure>();
        void Add(string leaf, string label, double value, QuantityKind kind, WorkingBuilder working) =>
            figures.Add(new Figure(label, value, kind, working.Done()) { Leaf = leaf });
        var b = r.Branch;
        Add("", "Wire must carry", b.NeedA, QuantityKind.Current, Working.Start().Step("MCA", "1.25·(largest motor + heat) + others, or by the plate",
            $"plate or estimate {b.McaA:0.##} A", b.McaA, "A", Citations.Nec440).Step("I_need", "by the rules chosen", $"{r.RulesWords}", b.NeedA, "A",
            Citations.WireTables));
        Add("", "Runs at", b.RunA, QuantityKind.Current, Working.Start().Step("I", "P/(U·cos φ)", $"{b.Volts:0} V", b.RunA, "A", Citations.Nec440));
        if (b.Wire is { } wire)
        {
            Add("", "Wire carries here", wire.AmpacityA ?? 0, QuantityKind.Current, Working.Start().Step("I_z",
                "table × air × neighbours, at most the terminals' column",
                $"{wire.Name}, {s.Design.Branch.AirC:0} °C, {s.Design.Branch.Together} together", wire.AmpacityA ?? 0, "A", Citations.WireTables));
            Add("", "Lost in use", wire.DropShare, QuantityKind.Fraction, Working.Start().Step("ΔU/U", "2·L·I·r/U",
                $"{b.WayM:0.##} m, {b.RunA:0.##} A, {wire.Name}", wire.DropShare, "", Citations.DropFormula));
            Add("", "Volts left at the start", b.StartShare, QuantityKind.Fraction, Working.Start().Step("U_start/U",
                "1 − 2·L·I·(r·cos φ + x·sin φ)/U",
                $"{b.StartA:0.#} A at a power factor of 0.6; the source's own sag is Start's", b.StartShare, "", Citations.DropFormula));
            Add("", "Longest way for this wire", wire.LongestM, QuantityKind.Length, Working.Start().Step("L", "p·U/(2·I·r)",
                $"{s.Design.Branch.DropShare:0.###} of {b.Volts:0} V", wire.LongestM, "m", Citations.DropFormula));
        }
        if (r.Battery is { } bank)
        {
            Add("battery", "Inverter draws", bank.Circuit.Amps, QuantityKind.Current, Working.Start().Step("I", "P/(η·U_lowest)",
                $"{s.Sources.Inverter.ContinuousW:0} W, 0.90, {bank.LowestV:0.##} V", bank.Circuit.Amps, "A", Citations.DcCable));
            Add("battery", "Cable carries", bank.Circuit.AmpacityA, QuantityKind.Current, Working.Start().Step("I_z", "n × table × air",
                $"{bank.Circuit.Cable}", bank.Circuit.AmpacityA, "A", Citations.WireTables));
            Add("battery", "Lost on it", bank.DropShare, QuantityKind.Fraction, Working.Start().Step("ΔU/U", "by the rule of the book",
                $"{s.Sources.Battery.CableM:0.##} m one way", bank.DropShare, "", Citations.DcCable));
            Add("battery", "Bank into a short", bank.Circuit.ShortA, QuantityKind.Current, Working.Start().Step("I_sc", "U_full/R",
                $"resistance {(bank.Circuit.ShortEstimated ? "estimated by the chemistry" : "typed")}", bank.Circuit.ShortA, "A", Citations.DcCable));
        }
        if (r.Pv is { } pv)
            Add("battery", "Modules give at most", pv.MostA, QuantityKind.Current, Working.Start().Step("I", "1.25·I_sc·n", $"{pv.Strings} strings",
                pv.MostA, "A",
                Citations.PvWires));
        if (r.Between.LengthM is { } between)
            Add("between", "Cable between", between, QuantityKind.Length, Working.Start().Step("L", "pipe + ends", $"{between:0.##} m", between, "m",
                Citations.Trade));
        return figures;
    }
}
