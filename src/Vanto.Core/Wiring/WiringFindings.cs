using Vanto.Core.Findings;
using Vanto.Core.Mount;
using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>What is wrong with a rig's wiring and what mends it.</summary>
public sealed class WiringFindings
{
    private const double Continuous = 0.80;
    private const double ShareAlone = 0.50;
    private const double DropWrong = 0.10;
    private const double StartLow = 0.90;
    private const double StartWrong = 0.85;
    private const double MostBendsDeg = 360;
    private const double LongWhipM = 1.8;
    private const double NearDcM = 0.2;
    private const double ContactMotor = 0.5;
    private const double HeadA = 0.5;
    private const double ShellLow = 1e6;
    private const double ShellDoubtful = 20e6;
    private const double FromHotM = 0.025;
    private const double InverterFaultTimes = 2;

    /// <summary>A start's surge lasts so long, s; common practice.</summary>
    private const double StartS = 2;

    /// <summary>Closing onto empty capacitors above so many times the fuse welds contacts; common practice.</summary>
    private const double InrushTimes = 10;

    private const double LeastLoopOhm = 1e-4;

    /// <summary>A wrench's reading may differ from the maker's by so much; common practice.</summary>
    private const double TorqueOff = 0.10;

    /// <summary>Socket for who mends an outdoor unit, at most so far away, m; NEC 210.63, recalled.</summary>
    private const double SocketM = 7.5;

    /// <summary>Highest volts of modules on a dwelling; NEC 690.7, recalled.</summary>
    private const double DwellingV = 600;

    public required WiringSetting S { get; init; }
    public required WiringAssessment R { get; init; }

    private BranchPlan B => R.Branch;
    private BranchDesign D => S.Design.Branch;
    private EntryDesign E => S.Design.Entry;

    /// <summary>All of them, as they come.</summary>
    public IEnumerable<Finding> All() => OfDevice().Concat(OfWire()).Concat(OfEntry()).Concat(OfMarks()).Concat(OfBattery()).Concat(OfModules())
        .Concat(OfBonds()).Concat(OfBetween()).Concat(OfPump()).Concat(OfStarter()).Concat(OfTests()).Concat(OfLine());

    private DesignEdit Edit(Func<WiringDesign, WiringDesign> change) => DesignEdit.Of(S.Design, change);

    private Remedy OfBranch(Phrase words, Phrase result, Func<BranchDesign, BranchDesign> change) =>
        new(words, result, Edit(w => w with { Branch = change(w.Branch) }));

    private Remedy OfBank(Phrase words, Phrase result, Func<BatteryWiringDesign, BatteryWiringDesign> change) =>
        new(words, result, Edit(w => w with { Battery = change(w.Battery) }));

    private IEnumerable<Finding> OfDevice()
    {
        var most = B.MaximumA;
        if (!S.Unit.IsDc && B.DeviceA > most * (1 + 1e-9))
            yield return Finding.Of(FindingCode.AcDeviceAboveMax, Severity.Stop,
                Phrase.Of($"A breaker of {B.DeviceA:Current} does not protect the unit: at most "
                + $"{most:Current}."), [OfBranch(Phrase.Of($"begin with"), Phrase.Of($"{B.StartingA:Current}"), b => b with { DeviceA = null })]);
        if (B.DeviceA < B.RunA)
            yield return Finding.Of(FindingCode.AcDeviceBelowRunning, Severity.Stop,
                Phrase.Of($"The unit runs at {B.RunA:Current}; {B.DeviceA:Current} opens."),
                [OfBranch(Phrase.Of($"begin with"), Phrase.Of($"{B.StartingA:Current}"), b => b with { DeviceA = null })]);
        else if (!S.Unit.IsDc && !S.Metric && B.DeviceA < B.McaA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.AcDeviceBelowMca, Severity.Caution,
                Phrase.Of($"{B.DeviceA:Current} is less than the minimum circuit ampacity of "
                + $"{B.McaA:Current}: it opens now and then."),
                [OfBranch(Phrase.Of($"begin with"), Phrase.Of($"{B.StartingA:Current}"), b => b with { DeviceA = null })]);
        else if (!S.Unit.IsDc && B.RunA / B.DeviceA > Continuous + 1e-9)
            yield return Finding.Of(FindingCode.AcDeviceOver80, Severity.Caution,
                Phrase.Of($"For hours on end {B.RunA / B.DeviceA:Fraction} of the breaker is drawn; above {Continuous:Fraction} it grows warm and opens."),
                (S.Metric ? Protection.Iec : Protection.American).FirstOrDefault(a => B.RunA / a <= Continuous && a <= most) is > 0 and var next
                    ? [OfBranch(Phrase.Of($"the next breaker"), Phrase.Of($"{next:Current}"), b => b with { DeviceA = next })] : []);
        if (S.TwoLives && S.Poles < 2)
            yield return Finding.Of(FindingCode.AcDoublePole, Severity.Stop, Phrase.Of($"Two lives feed a unit of {B.Volts:Voltage}: both must open together."),
                [OfBranch(Phrase.Of($"two poles"), Phrase.Of($"that open together"), b => b with { Poles = 2 })]);
        if (D.FuseOnly && D.Device != DeviceKind.Fuse)
            yield return Finding.Of(FindingCode.AcFuseOnly, Severity.Stop, Phrase.Of($"The plate wants fuses; a breaker may not stand in for them."),
                [OfBranch(Phrase.Of($"fuses"), Phrase.Of($"as the plate says"), b => b with { Device = DeviceKind.Fuse })]);
        else if (D.Device == DeviceKind.Breaker && !S.Unit.IsDc && !S.Metric)
            yield return Finding.Of(FindingCode.AcHacr, Severity.Caution,
                Phrase.Of($"The breaker is not marked for air conditioners; many plates ask for that."),
                [OfBranch(Phrase.Of($"one that is marked"), Phrase.Of($"for air conditioners"), b => b with { Device = DeviceKind.HacrBreaker })]);
        if (D.Shared)
            yield return Finding.Of(FindingCode.AcShared, D.Plugged && B.RunA / B.DeviceA <= ShareAlone ? Severity.Caution : Severity.Stop,
                Phrase.Of($"Something else is on this circuit: the unit wants its own."),
                [OfBranch(Phrase.Of($"its own circuit"), Phrase.Of($"nothing else on it"), b => b with { Shared = false })]);
        if (S.Metric && !S.Unit.IsDc)
        {
            var (lower, upper) = Protection.AtOnce(D.Curve);
            if (S.Unit.SingleSpeed && S.StartA > upper * B.DeviceA)
                yield return Finding.Of(FindingCode.IecTripsOnStart, Severity.Stop,
                    Phrase.Of($"The start of {S.StartA:Current} opens a {Calls.Name(D.Curve)} breaker of {B.DeviceA:Current} at once."), Slower());
            else if (S.Unit.SingleSpeed && S.StartA > lower * B.DeviceA)
                yield return Finding.Of(FindingCode.IecMayTrip, Severity.Caution,
                    Phrase.Of($"The start of {S.StartA:Current} may open a {Calls.Name(D.Curve)} breaker of {B.DeviceA:Current}."), Slower());
        }
        if (S.HasInverter && !S.Unit.IsDc && S.Metric)
        {
            var fault = InverterFaultTimes * S.Sources.Inverter.RatedW / S.Sources.Inverter.OutputV;
            if (fault < Protection.AtOnce(D.Curve).Upper * B.DeviceA)
                yield return Finding.Of(FindingCode.SourceNoTrip, Severity.Note,
                    Phrase.Of($"On a short the inverter gives about {fault:Current}: the breaker does "
                    + $"not open quickly. Its own shutdown and the residual-current device must; try them."));
        }
        if (Dwelling && !S.Unit.IsDc && B is { Volts: <= 125, DeviceA: <= 20 })
            yield return Finding.Of(FindingCode.RcdArc, Severity.Note,
                Phrase.Of($"A circuit of {B.Volts:Voltage} to living rooms asks for arc-fault protection in many places: ask what is adopted here."));
        if (S is { Residual: ResidualKind.None, AskedResidual: not ResidualKind.None })
            yield return Finding.Of(FindingCode.RcdMissing, S.Rules == RuleBook.MarineAmerican ? Severity.Caution : Severity.Stop,
                Phrase.Of($"No residual-current protection: people are not protected from a live case."), [OfBranch(Phrase.Of($"fit one"),
                    Phrase.Of($"{Calls.Name(S.AskedResidual)}"), b => b with { Residual = S.AskedResidual })]);
        else if (S.Metric && !S.Unit.SingleSpeed && S.Residual is ResidualKind.TypeAc or ResidualKind.TypeA)
            yield return Finding.Of(FindingCode.RcdType, S.Residual == ResidualKind.TypeAc ? Severity.Stop : Severity.Caution,
                S.Residual == ResidualKind.TypeAc ? Phrase.Of($"An inverter-driven compressor blinds a type AC device: it may not trip at all.")
                    : Phrase.Of($"An inverter-driven compressor asks for type F or B unless its manual says that type A will do."),
                [OfBranch(Phrase.Of($"take"), Phrase.Of($"{Calls.Name(ResidualKind.TypeFb)}"), b => b with { Residual = ResidualKind.TypeFb })]);
    }

    /// <summary>A building under North American rules.</summary>
    private bool Dwelling => S.Base == RigBase.Building && S.Rules == RuleBook.NorthAmerica;

    private List<Remedy> Slower() => Enum.GetValues<BreakerCurve>().Where(c => c > D.Curve && S.StartA <= Protection.AtOnce(c).Lower * B.DeviceA).Take(1)
        .Select(c => OfBranch(Phrase.Of($"curve {Calls.Name(c)}"), Phrase.Of($"bears the start"), b => b with { Curve = c })).ToList();

    private IEnumerable<Finding> OfWire()
    {
        if (B.TooHot)
            yield return Finding.Of(FindingCode.WireTooHot, Severity.Stop, Phrase.Of($"At {D.AirC:Temperature} this insulation may carry nothing."),
                [OfBranch(Phrase.Of($"90 °C insulation"), Phrase.Of($"bears it"), b => b with { Insulation = WireInsulation.C90 })]);
        else if (B.Least is null)
            yield return Finding.Of(FindingCode.WireNone, Severity.Stop, Phrase.Of($"No size carries {B.NeedA:Current} over {B.WayM:Length} within "
                + $"{D.DropShare:Fraction}: a shorter way, a higher voltage, or more allowed drop."));
        if (B.Wire is not { } wire)
            yield break;
        if (wire.AmpacityA is { } carries && carries < B.NeedA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.WireTooSmall, Severity.Stop, Phrase.Of($"{wire.Name} carries {carries:Current} here; the circuit asks for "
                + $"{B.NeedA:Current}."), [OfBranch(Phrase.Of($"as computed"), Phrase.Of($"{B.Least?.Name ?? "none"}"),
                    b => b with { Wire = WireSize.Computed })]);
        if (!S.Unit.IsDc && S.Rules == RuleBook.NorthAmerica && wire.AmpacityA < B.DeviceA)
            yield return Finding.Of(FindingCode.WireHvacRule, Severity.Note, Phrase.Of($"The breaker of {B.DeviceA:Current} stands above the wire's "
                + $"{wire.AmpacityA ?? 0:Current}: allowed for an air conditioner's own circuit, whose compressor protects itself. Do not \"correct\" it."));
        if (wire.DropShare > D.DropShare * (1 + 1e-9))
            yield return Finding.Of(FindingCode.DropRun, wire.DropShare > DropWrong ? Severity.Stop : Severity.Caution,
                Phrase.Of($"{wire.DropShare:Fraction} is lost over {B.WayM:Length}; {D.DropShare:Fraction} may be. This wire reaches {wire.LongestM:Length}."),
                B.Least is { } least && D.Wire != WireSize.Computed ? [OfBranch(Phrase.Of($"as computed"), Phrase.Of($"{least.Name}"), b => b with
                {
                    Wire = WireSize.Computed,
                })] : []);
        if (S.Unit.SingleSpeed && B.StartShare < StartLow)
            yield return Finding.Of(FindingCode.DropStart, B.StartShare < StartWrong ? Severity.Stop : Severity.Caution,
                Phrase.Of($"At the start {B.StartShare:Fraction} of the volts are left at the unit, by the cable alone: the compressor may not turn."),
                    Thicker());
        if (S.Unit.IsDc && B.EndV is null)
            yield return Finding.Of(FindingCode.DropCannotDeliver, Severity.Stop, Phrase.Of($"Over this cable the unit cannot have its watts at all."));
        if (!D.Earthed)
            yield return Finding.Of(FindingCode.EarthMissing, Severity.Stop, Phrase.Of($"No earth wire goes along. A metal hose is never the earth."),
                [OfBranch(Phrase.Of($"an earth wire"), Phrase.Of($"{B.Earth}"), b => b with { Earthed = true })]);
    }

    private List<Remedy> Thicker() => Enum.GetValues<WireSize>().Where(z => z > B.Wire!.Size && z != WireSize.Computed
            && Conductor.Of(z).Awg == Conductor.Of(B.Wire!.Size).Awg)
        .Where(z => BranchPlan.Of(With(z)).StartShare >= StartLow).Take(1)
        .Select(z => OfBranch(Phrase.Of($"thicker wire"), Phrase.Of($"{Calls.Name(z)}"), b => b with { Wire = z })).ToList();

    private WiringSetting With(WireSize size) => S.With(S.Design with { Branch = D with { Wire = size } });

    private IEnumerable<Finding> OfEntry()
    {
        if (B.Wire is { } wire)
        {
            if (B.Terminal is TerminalFitting.TooBig)
                yield return Finding.Of(FindingCode.TermTooBig, Severity.Stop, Phrase.Of($"{wire.Name} does not go into the unit's terminal, "
                    + $"which takes {S.Sheet.Outdoor.LargestWireMm2 ?? 0:ConductorArea}. Strands are never cut away: a solid wire, a smaller last piece or a "
                    + $"pin that is made for it."), Smaller());
            else if (B.Terminal == TerminalFitting.Unknown)
                yield return Finding.Of(FindingCode.TermUnknown, Severity.Note,
                    Phrase.Of($"What the terminals take is not known: read the plate at both ends before the whip is bought."));
            else if (B.Terminal == TerminalFitting.WantsFerrule)
                yield return Finding.Of(FindingCode.TermFerrule, Severity.Caution, Phrase.Of($"Fine strands under a screw come loose: ferrules."),
                    [new Remedy(Phrase.Of($"ferrules"), Phrase.Of($"on every end"), Edit(w => w with { Entry = w.Entry with { Ferrule = true } }))]);
            if (D.Way == WireWay.Conduit && B.ConduitSize.Length == 0)
                yield return Finding.Of(FindingCode.ConduitNone, Severity.Stop, Phrase.Of($"Three of {wire.Name} fill any of these conduits too far."));
            if (E.BoxCm3 is { } box && BoxNeedCm3(wire.Size) * (E.BoxWires + 1) is var need && box < need)
                yield return Finding.Of(FindingCode.BoxSmall, Severity.Caution,
                    Phrase.Of($"{E.BoxWires:Count} of {wire.Name} want a box of {need:Number} cm³; it has "
                    + $"{box:Number}."), [new Remedy(Phrase.Of($"a larger box"), Phrase.Of($"{Math.Ceiling(need / 10) * 10:Number} cm³"),
                        Edit(w => w with { Entry = w.Entry with { BoxCm3 = Math.Ceiling(need / 10) * 10 } }))]);
        }
        if (S.Sheet.Outdoor is { KnockOutM: { } hole } sheet && (E.FittingM > hole + 0.0005 || sheet.FittingRoomM is { } room && E.FittingInM > room))
            yield return Finding.Of(FindingCode.EntryNoRoom, Severity.Stop, E.FittingM > hole + 0.0005
                ? Phrase.Of($"A fitting of {E.FittingM:SmallLength} does not go into the entry's {hole:SmallLength}; do not bend or cut the cover.")
                : Phrase.Of($"The fitting sticks in {E.FittingInM:SmallLength}; behind the entry there is {sheet.FittingRoomM ?? 0:SmallLength}."),
                [new Remedy(Phrase.Of($"a fitting that goes in"), Phrase.Of($"{hole:SmallLength}"), Edit(w => w with
                {
                    Entry = w.Entry with { FittingM = Math.Min(E.FittingM, hole), FittingInM = Math.Min(E.FittingInM, sheet.FittingRoomM ?? E.FittingInM) },
                }))]);
        if (E.BendsDeg > MostBendsDeg)
            yield return Finding.Of(FindingCode.ConduitBends, Severity.Stop, Phrase.Of($"{E.BendsDeg:Degrees} of bends between two pull points: at most "
                + $"{MostBendsDeg:Degrees}, or the wire tears."), [new Remedy(Phrase.Of($"more pull points"), Phrase.Of($"{E.BendsDeg / Parts:Degrees} each"),
                    Edit(w => w with { Entry = w.Entry with { BendsDeg = E.BendsDeg / Parts } }))]);
        if (!S.Unit.IsDc && E.FreePlaces < S.Poles)
            yield return Finding.Of(FindingCode.BoardFull, Severity.Caution,
                Phrase.Of($"The board has {Calls.Many(E.FreePlaces, "free place")}; the breaker takes "
                + $"{S.Poles:Count}."));
        if (!E.BoardTakesIt && !S.Unit.IsDc)
            yield return Finding.Of(FindingCode.BreakerNotForBoard, Severity.Stop,
                Phrase.Of($"The breaker is not one that this board is listed for: it may sit loose and burn."));
        if (Dwelling && !E.Socket)
            yield return Finding.Of(FindingCode.AcSocket, Severity.Note,
                Phrase.Of($"A socket within {SocketM:Length} of the outdoor unit is asked for, so that who mends it has power."));
        if (!E.Disconnect)
            yield return Finding.Of(FindingCode.DiscNone, Severity.Stop, Phrase.Of($"No disconnect at the unit: whoever mends it cannot make it safe."),
                [new Remedy(Phrase.Of($"a disconnect"), Phrase.Of($"in sight of the unit"), Edit(w => w with { Entry = w.Entry with { Disconnect = true } }))]);
        else if (B.DisconnectA is not { } rating || rating < B.DisconnectNeedA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.DiscRating, Severity.Stop, Phrase.Of($"The disconnect must bear {B.DisconnectNeedA:Current}."),
                E.DisconnectA is not null ? [new Remedy(Phrase.Of($"the next that is made"), Phrase.Of($"{B.DisconnectNeedA:Current} and more"),
                    Edit(w => w with { Entry = w.Entry with { DisconnectA = null } }))] : []);
        if (D.Way == WireWay.Conduit && (B.WhipM is null || E.WhipM > LongWhipM))
            yield return Finding.Of(FindingCode.WhipLong, Severity.Caution,
                Phrase.Of($"{E.WhipM:SmallLength} of whip: longer than {LongWhipM:SmallLength} it is held "
                + $"every {0.9:SmallLength} and within {0.3:SmallLength} of its ends."));
    }

    private double Parts => Math.Ceiling(E.BendsDeg / MostBendsDeg);

    /// <summary>Room for a conductor in a box, cm³: 2.0 to 5.0 in³ by size; NEC 314.16(B), recalled.</summary>
    private static double BoxNeedCm3(WireSize size) => 16.387 * Conductor.Of(size).AreaMm2 switch
    {
        <= 2.2 => 2.0,
        <= 3.4 => 2.25,
        <= 5.4 => 2.5,
        <= 8.5 => 3.0,
        _ => 5.0,
    };

    private List<Remedy> Smaller()
    {
        if (E.Build != WireBuild.Solid && S.Sheet.Outdoor.LargestWireMm2 is not null && Fits(w => w with
        {
            Entry = E with
            {
                Build = WireBuild.Solid,
                Ferrule = false
            }
        }))
            return [new Remedy(Phrase.Of($"solid wire"), Phrase.Of($"goes in"), Edit(w => w with { Entry = E with { Build = WireBuild.Solid,
                Ferrule = false } }))];
        return D is { School: WireSchool.OneUp } or { Wire: not WireSize.Computed } && Fits(w => w with
        {
            Branch = D with
            {
                School = WireSchool.Least,
                Wire = WireSize.Computed
            }
        })
            ? [OfBranch(Phrase.Of($"the smallest the rules allow"), Phrase.Of($"{B.Least?.Name ?? ""}"), b => b with { School = WireSchool.Least,
                Wire = WireSize.Computed })] : [];
    }

    private bool Fits(Func<WiringDesign, WiringDesign> change)
    {
        var plan = BranchPlan.Of(S.With(change(S.Design)));
        return plan.Terminal is TerminalFitting.Fits or TerminalFitting.WantsFerrule;
    }

    private IEnumerable<Finding> OfMarks()
    {
        if (D.GreenLive)
            yield return Finding.Of(FindingCode.MarkGreen, Severity.Stop, Phrase.Of($"Green, green-yellow and bare are earth and nothing else."),
                [OfBranch(Phrase.Of($"earth only"), Phrase.Of($"another core for the rest"), b => b with { GreenLive = false })]);
        if (D is { LightLive: true, LightMarked: false })
            yield return Finding.Of(FindingCode.MarkWhiteLive, Severity.Caution,
                Phrase.Of($"A white or blue core carries a live and is not marked: whoever comes "
                + $"next takes it for neutral. Black or brown right round it at breaker, disconnect and unit."),
                [OfBranch(Phrase.Of($"marked"), Phrase.Of($"at every end"), b => b with { LightMarked = true })]);
        if (S.TwoLives)
            yield return Finding.Of(FindingCode.MarkNIsLive, Severity.Note,
                Phrase.Of($"On {B.Volts:Voltage} of two lives the terminal lettered N is live: prove both dead."));
    }

    private IEnumerable<Finding> OfBattery()
    {
        foreach (var circuit in R.BankCircuits)
            foreach (var f in OfBankFuse(circuit))
                yield return f;
        if (R.Battery is not { } p)
            yield break;
        var (d, circuitOf) = (S.Design.Battery, p.Circuit);
        if (circuitOf.AmpacityA < p.NeedA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.DcCableSmall, Severity.Stop, Phrase.Of($"{circuitOf.Cable} carries {circuitOf.AmpacityA:Current}; the inverter "
                + $"asks for {p.NeedA:Current} on a low battery."), Cable());
        else if (p.DropShare > d.DropShare * (1 + 1e-9))
            yield return Finding.Of(FindingCode.DcDrop, Severity.Caution, Phrase.Of($"{p.DropShare:Fraction} is lost between battery and inverter; "
                + $"{d.DropShare:Fraction} may be."), Cable());
        if (p.SurgeV < p.LowestV)
            yield return Finding.Of(FindingCode.DcSurgeSag, Severity.Stop, Phrase.Of($"At the start the cable alone pulls a full bank to {p.SurgeV:Voltage}: "
                + $"the inverter lets go at {p.LowestV:Voltage}."), Cable());
        if (d.Fuse == FuseClass.Strip && circuitOf.FuseA > 0
            && DcFuse.MeltsS(DcFuse.StripCurve, p.SurgeA / circuitOf.FuseA) is { } melts && melts <= 2 * StartS)
            yield return Finding.Of(FindingCode.FuseOpensOnSurge, melts <= StartS ? Severity.Stop : Severity.Caution,
                Phrase.Of($"A surge of {p.SurgeA:Current} melts it in {melts:Seconds}."), ClassT(circuitOf));
        if (!d.Switched)
            yield return Finding.Of(FindingCode.DcNoDisconnect, Severity.Caution, Phrase.Of($"Nothing takes the battery off: a switch in the positive."),
                [OfBank(Phrase.Of($"a switch"), Phrase.Of($"in the positive"), b => b with { Switched = true })]);
        if (d.PolarisedBreaker)
            yield return Finding.Of(FindingCode.DcPolarised, Severity.Stop,
                Phrase.Of($"Between battery and inverter current flows both ways: a polarised breaker "
                + $"cannot put out its arc against its direction."), [OfBank(Phrase.Of($"one for both ways, or a fuse"), Phrase.Of($"no polarised breaker"),
                    b => b with { PolarisedBreaker = false })]);
        if (d is { InverterMf: not null, PrechargeOhm: null } && circuitOf.HighestV / Math.Max(p.LoopOhm, LeastLoopOhm) > InrushTimes * circuitOf.FuseA)
            yield return Finding.Of(FindingCode.DcNoPrecharge, Severity.Caution, Phrase.Of($"Closing onto empty capacitors gives "
                + $"{circuitOf.HighestV / Math.Max(p.LoopOhm, LeastLoopOhm):Current}: contacts weld. Fill them through a resistor first."),
                [OfBank(Phrase.Of($"through"), Phrase.Of($"{25.0:Resistance}"), b => b with { PrechargeOhm = 25 })]);
        if (d.Lugs > Busbar.MostLugs)
            yield return Finding.Of(FindingCode.LugStack, Severity.Stop, Phrase.Of($"{d.Lugs:Count} lugs on one stud: at most {Busbar.MostLugs:Count}; a bar."),
                [OfBank(Phrase.Of($"a bar"), Phrase.Of($"{Busbar.MostLugs:Count} a stud"), b => b with { Lugs = Busbar.MostLugs })]);
        if (Busbar.StudA(d.StudM) is { } stud && circuitOf.Amps > stud)
            yield return Finding.Of(FindingCode.LugStud, Severity.Caution,
                Phrase.Of($"{circuitOf.Amps:Current} through an M{d.StudM:Count} stud: usual is {stud:Current}."),
                Busbar.StudA(10) >= circuitOf.Amps ? [OfBank(Phrase.Of($"a thicker stud"), Phrase.Of($"M10"), b => b with { StudM = 10 })] : []);
        if (d is { TorqueNm: { } asked, TightenedNm: { } wrench } && Math.Abs(wrench / asked - 1) > TorqueOff + 1e-9)
            yield return Finding.Of(FindingCode.TorqueOff, Severity.Caution, Phrase.Of($"Tightened to {wrench:Torque}; its maker says {asked:Torque}."),
                [OfBank(Phrase.Of($"tighten it again"), Phrase.Of($"{asked:Torque}"), b => b with { TightenedNm = asked })]);
        if (d.FreeM is { } free && Conductor.BendM(S.Sources.Battery.CableMm2) is var room && free < room)
            yield return Finding.Of(FindingCode.TermBending, Severity.Caution,
                Phrase.Of($"{free:SmallLength} in front of the lug: this cable wants {room:SmallLength} to bend without pulling on the stud."),
                [OfBank(Phrase.Of($"more room"), Phrase.Of($"{room:SmallLength}"), b => b with { FreeM = room })]);
        if (d.TorqueNm is null)
            yield return Finding.Of(FindingCode.TorqueUnknown, Severity.Note, Phrase.Of($"The torque of the studs is the maker's, not a usual one: type it."));
    }

    private IEnumerable<Finding> OfBankFuse(BankCircuit c)
    {
        var d = S.Design.Battery;
        if (c.ShortEstimated)
            yield return Finding.Of(FindingCode.DcIscEstimated, Severity.Note, Phrase.Of($"{c.ShortA:Current} into a short is estimated by the chemistry: type "
                + $"the block's resistance from its data sheet, or take a class T fuse."));
        if (c.InterruptsA is not { } breaks)
            yield return Finding.Of(FindingCode.FuseVoltage, Severity.Stop, Phrase.Of($"The bank stands at {c.HighestV:Voltage} while it is charged: "
                + $"too much for the {c.Feeds}'s fuse."), ClassT(c));
        else if (breaks < c.ShortA)
            yield return Finding.Of(FindingCode.FuseInterrupt, Severity.Stop, Phrase.Of($"The bank gives {c.ShortA:Current} into a short; the {c.Feeds}'s fuse "
                + $"breaks {breaks:Current} and then burns on as an arc."), ClassT(c));
        if (c.FuseA < c.NeedA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.FuseSmall, Severity.Caution, c.FuseA > 0
                ? Phrase.Of($"{c.FuseA:Current} opens in hours of {c.Amps:Current}: from {c.NeedA:Current} on.")
                : Phrase.Of($"No fuse of this class is made for {c.NeedA:Current}."), Bearing(c));
        if (c.FuseA > c.MostA * (1 + 1e-9))
            yield return Finding.Of(FindingCode.FuseNoneBetween, Severity.Stop, Phrase.Of($"A fuse of {c.FuseA:Current} does not protect {c.Cable}: at most "
                + $"{c.MostA:Current}, and the current asks for {c.NeedA:Current}. A thicker cable."), c.Feeds == BankCircuit.Inverter ? Cable(true) : []);
        if (d.FuseM > c.FarthestM * (1 + 1e-9))
            yield return Finding.Of(FindingCode.FuseFar, Severity.Stop, Phrase.Of($"{d.FuseM:SmallLength} of cable before the fuse is unprotected: at most "
                + $"{c.FarthestM:SmallLength}."), [OfBank(Phrase.Of($"the fuse nearer"), Phrase.Of($"{c.FarthestM:SmallLength}"), b => b with
                {
                    FuseM = c.FarthestM,
                })]);
    }

    /// <summary>The fuse as computed, where the class has one that bears the current.</summary>
    private IReadOnlyList<Remedy> Bearing(BankCircuit c) => DcFuse.RatingA(S.Design.Battery.Fuse, c.Amps) is not { } rating ? []
        : c.Feeds == BankCircuit.Inverter
            ? [OfBank(Phrase.Of($"the smallest that bears it"), Phrase.Of($"{rating:Current}"), b => b with { FuseA = null })]
            : [OfBranch(Phrase.Of($"the smallest that bears it"), Phrase.Of($"{rating:Current}"), b => b with { DeviceA = null })];

    private IReadOnlyList<Remedy> ClassT(BankCircuit c) => S.Design.Battery.Fuse == FuseClass.ClassT || S.Sources.Battery.FuseInterruptsA is not null
        || DcFuse.InterruptsA(FuseClass.ClassT, c.HighestV) is not { } breaks || breaks < c.ShortA ? []
            : [OfBank(Phrase.Of($"a class T fuse"), Phrase.Of($"breaks {breaks:Current}"), b => b with { Fuse = FuseClass.ClassT })];

    /// <summary>The cable that would do, typed where it is kept: at the sources.</summary>
    private List<Remedy> Cable(bool fuse = false)
    {
        foreach (var wire in Conductor.Series(DcCable.Awg(S.DcRules)).Where(c => c.AreaMm2 > S.Sources.Battery.CableMm2))
        {
            var sources = S.Sources with { Battery = S.Sources.Battery with { CableMm2 = wire.AreaMm2 } };
            if (BatteryPlan.Of(S.With(sources)) is { } plan && plan.Circuit.AmpacityA >= plan.NeedA && plan.DropShare <= S.Design.Battery.DropShare
                && plan.SurgeV >= plan.LowestV && (!fuse || plan.Circuit.FuseA <= plan.Circuit.MostA))
                return [new Remedy(Phrase.Of($"thicker cable"), Phrase.Of($"{Calls.Name(wire.Size)}"),
                    S.EditSources(s => s with { Battery = sources.Battery }))];
        }
        return [];
    }

    private IEnumerable<Finding> OfModules()
    {
        if (R.Pv is not { } p)
            yield break;
        var d = S.Design.Pv;
        Remedy Of(Phrase words, Phrase result, Func<PvWiringDesign, PvWiringDesign> change) => new(words, result, Edit(w => w with { Pv = change(w.Pv) }));
        if (!p.WireBears)
            yield return Finding.Of(FindingCode.PvWire, Severity.Stop, Phrase.Of($"{p.WireName} does not bear {p.MostA:Current} of the modules in this heat."),
                d.Wire != WireSize.Computed ? [Of(Phrase.Of($"as computed"), Phrase.Of($"bears it"), w => w with { Wire = WireSize.Computed })] : []);
        else if (!p.TerminalBears)
            yield return Finding.Of(FindingCode.PvTerminal, Severity.Stop,
                Phrase.Of($"The wire bears it, its terminals do not: 1.56 times the short-circuit current."),
                d.Wire != WireSize.Computed ? [Of(Phrase.Of($"as computed"), Phrase.Of($"bears it"), w => w with { Wire = WireSize.Computed })] : []);
        if (!d.Isolator || d.IsolatorV < p.ColdV || d.IsolatorA < p.MostA * (1 - 1e-9))
            yield return Finding.Of(FindingCode.PvIsolator, Severity.Stop, d.Isolator
                ? Phrase.Of($"The isolator must bear {p.ColdV:Voltage} and break {p.MostA:Current} of direct current, both poles.")
                : Phrase.Of($"Nothing takes the modules off: an isolator for both poles."), [Of(Phrase.Of($"one that does"),
                    Phrase.Of($"{Math.Ceiling(p.ColdV / 50) * 50:Voltage}, {Math.Ceiling(p.MostA / 5) * 5:Current}"), w => w with
                    {
                        Isolator = true,
                        IsolatorV = Math.Max(d.IsolatorV ?? 0, Math.Ceiling(p.ColdV / 50) * 50),
                        IsolatorA = Math.Max(d.IsolatorA ?? 0, Math.Ceiling(p.MostA / 5) * 5),
                    })]);
        if (d is { Isolator: true, AcSwitch: true })
            yield return Finding.Of(FindingCode.PvAcSwitch, Severity.Stop,
                Phrase.Of($"A switch made for AC draws an arc of direct current that does not go out."),
                [Of(Phrase.Of($"one for DC"), Phrase.Of($"marked for modules"), w => w with { AcSwitch = false })]);
        if (Dwelling && p.ColdV > DwellingV)
            yield return Finding.Of(FindingCode.PvDwellingVolts, Severity.Stop,
                Phrase.Of($"{p.ColdV:Voltage} of a string on a cold morning: on a dwelling at most {DwellingV:Voltage}. Fewer modules in a string."));
        if (Dwelling && !d.RapidShutdown)
            yield return Finding.Of(FindingCode.PvRapidShutdown, Severity.Caution,
                Phrase.Of($"Who fights a fire on this roof cannot make the strings harmless: rapid shutdown is asked for on buildings."),
                [Of(Phrase.Of($"rapid shutdown"), Phrase.Of($"at the modules"), w => w with { RapidShutdown = true })]);
        if (!d.FramesEarthed && (S.Base == RigBase.Building && S.Rules == RuleBook.NorthAmerica || p.ColdV > 60))
            yield return Finding.Of(FindingCode.PvFrameEarth, S.Base == RigBase.Building && S.Rules == RuleBook.NorthAmerica ? Severity.Stop : Severity.Caution,
                Phrase.Of($"Frames and rails of the modules are not joined to earth."), [Of(Phrase.Of($"join them"), Phrase.Of($"to earth"),
                    w => w with { FramesEarthed = true })]);
        if (p.Measured is { Verdict: not StringVolts.Good } m)
            yield return Finding.Of(FindingCode.PvStringVolts, m.Verdict == StringVolts.Off ? Severity.Caution : Severity.Stop,
                m.Verdict == StringVolts.Fault ? Phrase.Of($"{d.StringV ?? 0:Voltage} of a string: "
                    + $"{string.Join(", or ", m.Pairs.Select(Said))}. Do not join it.")
                    : Phrase.Of($"{d.StringV ?? 0:Voltage} of a string: {Calls.Name(m.Verdict)}."));
    }

    private static string Said((int Turned, int Missing) pair) => (pair.Turned, pair.Missing) switch
    {
        (0, var missing) => $"{Calls.Many(missing, "module")} missing or bridged",
        (var turned, 0) => $"{Calls.Many(turned, "module")} turned round",
        var (turned, missing) => $"{turned} turned and {missing} missing",
    };

    private IEnumerable<Finding> OfBonds()
    {
        var d = S.Design.Bonding;
        if (Worst(r => r is { Level: Severity.Stop, Ties.Count: > 1 }) is { } many)
            yield return Finding.Of(FindingCode.BondMany, Severity.Stop, Phrase.Of($"{many.State}: {many.Words}"), Bond());
        if (Worst(r => r.Ties.Count == 0) is { } none)
            yield return Finding.Of(FindingCode.BondNone, none.Level == Severity.Stop ? Severity.Stop : Severity.Caution,
                Phrase.Of($"{none.State}: {none.Words}"), Bond());
        if (Worst(r => r is { Level: Severity.Caution, Ties.Count: 1 }) is { } elsewhere)
            yield return Finding.Of(FindingCode.BondElsewhere, Severity.Caution, Phrase.Of($"{elsewhere.State}: {elsewhere.Words}"), Bond());
        if (d is { LiveNeutralV: { } ln, NeutralEarthV: { } ne, LiveEarthV: { } le }
            && ShoreTest.Of(ln, ne, le, S.Sources.Shore.Volts) is not (ShoreReading.Correct) and var reading)
            yield return Finding.Of(FindingCode.ShoreReading, Severity.Stop, Phrase.Of($"At the pedestal: {Calls.Name(reading)}. Do not plug in."));
        if (S.Base == RigBase.Boat && !S.Unit.IsDc)
        {
            if (d is { GalvanicIsolator: false, Transformer: false })
                yield return Finding.Of(FindingCode.BoatGalvanic, Severity.Caution,
                    Phrase.Of($"The shore's earth joins the boat to every other hull: a galvanic isolator or a transformer, or the zincs go."),
                    [new Remedy(Phrase.Of($"a galvanic isolator"), Phrase.Of($"fail-safe"),
                        Edit(w => w with { Bonding = w.Bonding with { GalvanicIsolator = true } }))]);
            else if (d.GalvanicIsolator && d.GalvanicA < S.Sources.Shore.BreakerA)
                yield return Finding.Of(FindingCode.BoatIsolatorSmall, Severity.Stop,
                    Phrase.Of($"The galvanic isolator bears {d.GalvanicA:Current}, the shore gives "
                    + $"{S.Sources.Shore.BreakerA:Current}."), [new Remedy(Phrase.Of($"one that bears it"), Phrase.Of($"{S.Sources.Shore.BreakerA:Current}"),
                        Edit(w => w with { Bonding = w.Bonding with { GalvanicA = S.Sources.Shore.BreakerA } }))]);
        }
    }

    private BondRow? Worst(Func<BondRow, bool> which) => R.Bonds.Where(which).MaxBy(r => r.Level);

    /// <summary>The usual plan: one tie in every state, that of what gives the power.</summary>
    private List<Remedy> Bond()
    {
        var usual = S.Design.Bonding with
        {
            Inverter = BondRule.WhenSourcing,
            Generator = BondRule.WhenSourcing,
            BoardBond = false,
            NeutralSwitched = true,
        };
        return usual == S.Design.Bonding ? [] : [new Remedy(Phrase.Of($"one tie, that of what gives the power"),
            Phrase.Of($"transfer switches neutral too, no bond in the board"), Edit(w => w with { Bonding = usual }))];
    }

    private IEnumerable<Finding> OfBetween()
    {
        if (S.BetweenM is not { } metres)
            yield break;
        var (d, ends) = (S.Design.Between, R.Between.Ends);
        if (ends.Crossed)
            yield return Finding.Of(FindingCode.CoreCrossed, ends.Worst == CoreFault.Polarity ? Severity.Caution : Severity.Stop,
                ends.Worst == CoreFault.Polarity
                ? Phrase.Of($"Live and neutral are crossed between the units: they do not talk, and a switch leaves the live in.")
                : Phrase.Of($"Cores are crossed between the units: powered like this the board may be lost or the case live."),
                [new Remedy(Phrase.Of($"{string.Join(", ", ends.Moves.Select(m => $"{Calls.Name(m.Colour)} to {m.To}"))}"), Phrase.Of($"both ends alike"),
                    Edit(w => w with { Between = Mended(w.Between, ends) }))]);
        else if (ends.Astray.Count > 0 || ends.Doubled.Count > 0)
            yield return Finding.Of(FindingCode.CoreOpen, ends.Worst == CoreFault.NoTalk ? Severity.Caution : Severity.Stop, ends.Doubled.Count > 0
                ? Phrase.Of($"{Calls.Name(ends.Doubled[0])} stands on two terminals of one end.")
                : Phrase.Of($"{Calls.Name(ends.Astray[0].Colour)} is landed at one end only: "
                    + $"{(ends.Worst == CoreFault.NoTalk ? "no harm, they do not talk" : "do not power it")}."));
        if (d.Zones.Count > 1)
        {
            var zones = Zones.Compare([.. d.Zones.Select(z => (z.Cable, z.Pipe))]);
            if (zones is null || zones.Value.Wrong.Count > 0)
                yield return Finding.Of(FindingCode.ZoneCrossed, Severity.Stop, zones is { } z
                    ? Phrase.Of($"{string.Join(" and ", z.Wrong.Select(h => d.Zones[h].Head))}: cable and pipe lead to different circuits; "
                        + $"{Calls.Many(z.Swaps, "exchange")} of cables mends it. Pipes stay.")
                    : Phrase.Of($"A circuit or a port stands twice: one head, one letter."), zones is null ? [] :
                    [new Remedy(Phrase.Of($"move the cables"), Phrase.Of($"each to its pipe's circuit"), Edit(w => w with
                    {
                        Between = w.Between with { Zones = [.. w.Between.Zones.Select(x => x with { Cable = x.Pipe })] },
                    }))]);
        }
        if (d.Splices > 0 && (d.BeyondCores != d.Terminals.Count || Math.Abs(d.BeyondMm2 - d.CoreMm2) > 1e-9))
            yield return Finding.Of(FindingCode.SpliceMismatch, Severity.Stop,
                Phrase.Of($"{d.Terminals.Count:Count} cores of {d.CoreMm2:ConductorArea} go on as "
                + $"{d.BeyondCores:Count} of {d.BeyondMm2:ConductorArea}: the same number and size on both sides."),
                [new Remedy(Phrase.Of($"the same cable on"), Phrase.Of($"{d.Terminals.Count:Count} × {d.CoreMm2:ConductorArea}"), Edit(w => w with
                {
                    Between = w.Between with { BeyondCores = Math.Clamp(d.Terminals.Count, 2, 8), BeyondMm2 = d.CoreMm2 },
                }))]);
        if (d.Splices > 1)
            yield return Finding.Of(FindingCode.SpliceMany, Severity.Caution, Phrase.Of($"{d.Splices:Count} joints in one cable: a new cable is better."));
        if (d is { Splices: > 0, BoxIp: < 65 })
            yield return Finding.Of(FindingCode.SpliceBox, Severity.Caution, Phrase.Of($"A joint outdoors wants a box of IP 65 or better."),
                [new Remedy(Phrase.Of($"a tight box"), Phrase.Of($"IP 66"), Edit(w => w with { Between = w.Between with { BoxIp = 66 } }))]);
        if (metres > 30 || d.CoreMm2 < 1 - 1e-9)
            yield return Finding.Of(FindingCode.BetweenLong, Severity.Caution,
                Phrase.Of($"{metres:Length} of {d.CoreMm2:ConductorArea}: ask the manual; data fades."));
        if (d.FromDcM < NearDcM)
            yield return Finding.Of(FindingCode.BetweenNearDc, Severity.Caution,
                Phrase.Of($"Beside the inverter's DC cables data is disturbed: {NearDcM:SmallLength} away."),
                [new Remedy(Phrase.Of($"farther away"), Phrase.Of($"{NearDcM:SmallLength}"),
                    Edit(w => w with { Between = w.Between with { FromDcM = NearDcM } }))]);
        if (d.Unscreened)
            yield return Finding.Of(FindingCode.BetweenScreen, Severity.Caution,
                Phrase.Of($"The manual asks for a screened cable, its screen to earth at one end."),
                [new Remedy(Phrase.Of($"a screened cable"), Phrase.Of($"as the manual asks"),
                    Edit(w => w with { Between = w.Between with { Unscreened = false } }))]);
        if (d.Fed is PumpArrangement.HeadFed && B.Wire is { } wire && d.CoreMm2 < Conductor.Of(wire.Size).AreaMm2 * 0.6)
            yield return Finding.Of(FindingCode.BetweenSupplyCore, Severity.Stop, Phrase.Of($"The outdoor unit's {B.RunA:Current} go through this cable: "
                + $"{d.CoreMm2:ConductorArea} is less than its circuit asks."));
    }

    private static BetweenDesign Mended(BetweenDesign d, EndsCompared ends) => d with
    {
        Terminals = [.. d.Terminals.Select(t => ends.Moves.FirstOrDefault(m => m.To == t.Label) is { } move
            ? ends.AtHead ? t with { Head = move.Colour } : t with { Outdoor = move.Colour } : t)],
    };

    private IEnumerable<Finding> OfPump()
    {
        if (R.Between.Alarm is not { } a)
            yield break;
        var d = S.Design.Between;
        Remedy Of(Phrase words, Func<BetweenDesign, BetweenDesign> change) => new(words, Phrase.Of($"as drawn"),
            Edit(w => w with { Between = change(w.Between) }));
        if (a.Effect == AlarmEffect.None)
            yield return Finding.Of(FindingCode.PumpNoEffect, Severity.Stop, Phrase.Of($"The pump's alarm does not stop the unit: it goes on making water."),
                d.OldCoreLeft ? [Of(Phrase.Of($"take the old core out"), b => b with { OldCoreLeft = false })] : S.AlarmWired ? [] : [S.AlarmRemedy()]);
        else if (a.Effect == AlarmEffect.Indirect)
            yield return Finding.Of(FindingCode.PumpIndirect, Severity.Note,
                Phrase.Of($"The alarm stops the unit through the head: prove it by lifting the float; "
                + $"the compressor must stop within five minutes."));
        if (!a.DataWhole)
            yield return Finding.Of(FindingCode.PumpDataBroken, Severity.Stop,
                Phrase.Of($"The data core is cut into by the alarm: the units do not talk, and mains "
                + $"may reach the board."), d.DataThroughAlarm ? [Of(Phrase.Of($"data straight through"), b => b with { DataThroughAlarm = false })] : []);
        if (!a.PumpFused || !a.AlarmFused)
            yield return Finding.Of(FindingCode.PumpUnfused, Severity.Stop, Phrase.Of($"{(a.PumpFused ? "The alarm's contact" : "The pump")} hangs on the live "
                + $"without a fuse of its own."), d.PumpFused && d.AlarmFused ? [] : [Of(Phrase.Of($"a fuse in each"), b => b with { PumpFused = true,
                    AlarmFused = true })]);
        var through = d.Fed == PumpArrangement.HeadFed ? B.RunA : HeadA;
        var bears = d.Fed == PumpArrangement.HeadFed ? ContactMotor * d.ContactA : d.ContactA;
        if (through > bears)
            yield return Finding.Of(FindingCode.PumpContact, Severity.Stop,
                Phrase.Of($"{through:Current} go through the alarm's contact, which bears {bears:Current} of "
                + $"a motor: a contactor."), [Of(Phrase.Of($"feed the outdoor unit"), b => b with { Fed = PumpArrangement.OutdoorFed })]);
    }

    private IEnumerable<Finding> OfStarter()
    {
        if (R.Starter is not { } v)
            yield break;
        var d = S.Design.SoftStarter;
        Remedy Of(Phrase words, Phrase result, Func<SoftStarterDesign, SoftStarterDesign> change) =>
            new(words, result, Edit(w => w with { SoftStarter = change(w.SoftStarter) }));
        var read = d.AbOhm is not null || d.AcOhm is not null || d.BcOhm is not null;
        if (v.Windings.Verdict == WindingVerdict.ThreePhase)
            yield return Finding.Of(FindingCode.SoftThreePhase, Severity.Stop,
                Phrase.Of($"Three equal windings: an inverter-driven compressor. No soft starter."));
        else if (read && v.Windings.Verdict != WindingVerdict.Named)
            yield return Finding.Of(FindingCode.SoftWindings, Severity.Stop,
                Phrase.Of($"The readings name nothing: {Calls.Name(v.Windings.Verdict)}. Guess nothing; "
                + $"measure again or take the diagram on the cover."));
        if (d.ShellOhm is < ShellDoubtful and var shell)
            yield return Finding.Of(FindingCode.SoftGrounded, shell < ShellLow ? Severity.Stop : Severity.Caution,
                Phrase.Of($"{shell:Resistance} from a terminal to the shell: {(shell < ShellLow ? "the winding goes to earth" : "damp or failing")}."));
        WindingWire[] leads = [.. new[] { (WindingWire.Common, d.LeadsCommon), (WindingWire.Run, d.LeadsRun), (WindingWire.Start, d.LeadsStart) }
            .Where(l => l.Item2).Select(l => l.Item1)];
        var joints = StarterJoints.Of([d.ControlCommon, d.ControlRun, d.ControlStart], [d.CompressorCommon, d.CompressorRun, d.CompressorStart], leads);
        Remedy straight = Of(Phrase.Of($"as the map says"), Phrase.Of($"each wire through its own path"), x => x with
        {
            ControlCommon = StarterLead.SupplyCommon,
            ControlRun = StarterLead.SupplyRun,
            ControlStart = StarterLead.SupplyStart,
            CompressorCommon = StarterLead.LoadCommon,
            CompressorRun = StarterLead.LoadRun,
            CompressorStart = StarterLead.LoadStart,
        });
        if (joints.Reversed > 0)
            yield return Finding.Of(FindingCode.SoftReversed, Severity.Stop,
                Phrase.Of($"Supply and load side are exchanged at {Calls.Many(joints.Reversed, "joint")}."),
                [straight]);
        if (joints.Crossed > 0)
            yield return Finding.Of(FindingCode.SoftCrossed, Severity.Stop,
                Phrase.Of($"{Calls.Many(joints.Crossed, "joint")} on the lead of another winding."), [straight]);
        if (joints.Open > 0)
            yield return Finding.Of(FindingCode.SoftOpen, Severity.Stop, Phrase.Of($"{Calls.Many(joints.Open, "joint")} missing."), [straight]);
        if (d.FanThrough)
            yield return Finding.Of(FindingCode.SoftFanThrough, Severity.Stop, Phrase.Of($"The fan is fed through the device: its live stays before it."),
                [Of(Phrase.Of($"the fan before it"), Phrase.Of($"untouched"), x => x with { FanThrough = false })]);
        if (d.OtherAssist)
            yield return Finding.Of(FindingCode.SoftOtherAssist, Severity.Caution, Phrase.Of($"A start relay or capacitor is still in: out with it unless the "
                + $"device's manual keeps it. The run capacitor stays."), [Of(Phrase.Of($"taken out"), Phrase.Of($"as the manual says"),
                    x => x with { OtherAssist = false })]);
        if (d.Drilled)
            yield return Finding.Of(FindingCode.SoftDrill, Severity.Stop,
                Phrase.Of($"No screw near a coil, a tube or a line: bonding tape on a clean face, or a screw "
                + $"that is there."), [Of(Phrase.Of($"on tape"), Phrase.Of($"nothing drilled"), x => x with { Drilled = false })]);
        if (d.FromHotM < FromHotM)
            yield return Finding.Of(FindingCode.SoftHot, Severity.Stop,
                Phrase.Of($"{d.FromHotM:SmallLength} from the hot pipe or the shell: at least {FromHotM:SmallLength}, "
                + $"clear of the fan and of what shakes."), [Of(Phrase.Of($"farther away"), Phrase.Of($"{FromHotM:SmallLength}"),
                    x => x with { FromHotM = FromHotM })]);
    }

    private IEnumerable<Finding> OfTests()
    {
        foreach (var failed in R.Tests.Where(t => t.State == StepState.Failed && t.Step != PowerStep.Polarity).Take(1))
            yield return Finding.Of(FindingCode.TestFailed, Severity.Stop,
                Phrase.Of($"Before power, {failed.Name} failed: {failed.Measured} against {failed.Limit}."));
        foreach (var row in R.Tests.Where(t => t.Doubtful).Take(1))
            yield return Finding.Of(FindingCode.TestDoubtful, Severity.Caution, Phrase.Of($"Before power, {row.Name}: {row.Measured} passes, but {row.Words}"));
        if (R.Tests.Any(t => t is { Locked: true, State: StepState.Passed }))
            yield return Finding.Of(FindingCode.TestOrder, Severity.Caution,
                Phrase.Of($"A later test was done while an earlier one stands open or failed: it does not count."));
    }

    private IEnumerable<Finding> OfLine()
    {
        foreach (var (fault, node) in R.Line.Faults())
            if (fault == LineFault.Voltage)
                yield return Finding.Of(FindingCode.LineVoltage, Severity.Stop,
                    Phrase.Of($"What is joined at the {node} has another voltage: a converter or another unit."));
    }
}
