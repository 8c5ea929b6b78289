using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Wiring;

/// <summary>One size of wire for the unit's circuit.</summary>
/// <param name="Size">Which.</param>
/// <param name="Name">As it is called.</param>
/// <param name="AmpacityA">What it carries here; nothing where its insulation bears no current in this heat.</param>
/// <param name="DropShare">Of the voltage, lost on the way in use.</param>
/// <param name="LongestM">Way at which the limit is reached.</param>
public sealed record WireChoice(WireSize Size, string Name, double? AmpacityA, double DropShare, double LongestM);

/// <summary>The unit's circuit.</summary>
public sealed record BranchPlan
{
    public required double Volts { get; init; }
    public required double RunA { get; init; }
    public required double McaA { get; init; }

    /// <summary>Breaker or fuse: typed, else what the rules begin with.</summary>
    public required double DeviceA { get; init; }

    public required double StartingA { get; init; }
    public required double MaximumA { get; init; }

    /// <summary>What the wire must carry.</summary>
    public required double NeedA { get; init; }

    /// <summary>The size that is taken; nothing where none is enough.</summary>
    public required WireChoice? Wire { get; init; }

    /// <summary>The smallest that the rules allow, and whether the drop asks for it rather than the current.</summary>
    public required WireChoice? Least { get; init; }

    public required bool ByDrop { get; init; }

    /// <summary>Sizes round it, for all schools.</summary>
    public required IReadOnlyList<WireChoice> Sizes { get; init; }

    public required double WayM { get; init; }

    /// <summary>Volts at the unit's terminals as it starts, as a share; the source's own sag is Start's.</summary>
    public required double StartShare { get; init; }

    public required double StartA { get; init; }
    public required TerminalFitting Terminal { get; init; }

    /// <summary>Conduit of the trade and how full it is; nothing where none is asked or none is wide enough.</summary>
    public required string ConduitSize { get; init; }

    public required double ConduitFill { get; init; }
    public required string Earth { get; init; }
    public required double DisconnectNeedA { get; init; }
    public required double? DisconnectA { get; init; }
    public required double? WhipM { get; init; }

    /// <summary>Too hot for its insulation.</summary>
    public required bool TooHot { get; init; }

    /// <summary>Volts and amperes at the end of a DC circuit; nothing where the loop cannot give them.</summary>
    public double? EndV { get; init; }

    /// <summary>Which rule decided, in words.</summary>
    public required string Ruling { get; init; }

    /// <summary>Mains wires are not thinner, mm²: 16 AWG on boats, 1.5 mm²; ABYC E-11 and IEC 60364-5-52, recalled.</summary>
    private const double LeastMainsMm2 = 1.3;

    private const double StartFactor = 0.6;
    private const double OnRoofMost = 85;

    /// <summary>Ampacity of a size for a circuit; null too hot, 0 not listed.</summary>
    public static double? AmpacityOf(WiringSetting s, WireSize size)
    {
        var b = s.Design.Branch;
        var air = Math.Min(OnRoofMost, b.AirC + (b.OnRoof ? Ampacity.RoofK : 0));
        var terminals = b.Terminals75 ? WireInsulation.C75 : WireInsulation.C60;
        if (s.Unit.IsDc)
            return DcCable.Carries(DcAsk(s, 1), size, 1) is > 0 and var amps ? amps : null;
        return s.Rules switch
        {
            RuleBook.NorthAmerica => size < WireSize.Awg14 ? 0 : Ampacity.InBuilding(size, b.Way == WireWay.Sheathed ? WireInsulation.C90 : b.Insulation, air,
                b.Together, b.Way == WireWay.Sheathed ? WireInsulation.C60 : terminals)?.Amps,
            RuleBook.Iec => Ampacity.OfIec(size, b.Insulation >= WireInsulation.C90, b.Way == WireWay.Conduit ? CableMethod.B2 : CableMethod.C, air,
                (b.Together + 1) / 2),
            _ => Ampacity.Afloat(size, b.Insulation, b.EngineSpace, b.Together < 3 ? 1 : b.Together),
        };
    }

    private static DcCable.Ask DcAsk(WiringSetting s, double amps) => new(s.DcRules, amps, s.WayM, s.Unit.SupplyVoltageV, s.Design.Branch.DropShare,
        s.Design.Branch.Insulation, s.Design.Branch.EngineSpace, s.Design.Branch.AirC, 1);

    private static WireChoice Choice(WiringSetting s, Conductor wire, double amps, double volts)
    {
        var ohm = s.Unit.IsDc ? DcCable.LoopOhmM(wire) : wire.Awg ? wire.OhmM(75) : wire.OhmM(s.Design.Branch.Insulation >= WireInsulation.C90 ? 90 : 70);
        return new WireChoice(wire.Size, Calls.Name(wire.Size), AmpacityOf(s, wire.Size), VoltageDrop.Volts(s.WayM, amps, ohm) / volts,
            VoltageDrop.Longest(volts, s.Design.Branch.DropShare, amps, ohm));
    }

    /// <summary>Plans it.</summary>
    public static BranchPlan Of(WiringSetting s)
    {
        var (b, e, need, volts) = (s.Design.Branch, s.Design.Entry, s.Need, s.Unit.SupplyVoltageV);
        var run = s.Unit.IsDc ? need.MostA : s.Metric || !s.Unit.SingleSpeed ? need.MostA : need.RunA;
        var metric = s.Unit.IsDc ? !DcCable.Awg(s.DcRules) : s.Metric;
        var (starting, maximum) = Devices(s, run);
        var device = b.DeviceA ?? starting;
        var needA = s.Unit.IsDc ? DcCable.Continuous(s.DcRules) * run : s.Rules == RuleBook.NorthAmerica ? need.McaA : device;
        var sizes = Conductor.Series(!metric).Where(c => s.Unit.IsDc || c.AreaMm2 >= LeastMainsMm2).Select(c => Choice(s, c, run,
            volts)).Where(c => c.AmpacityA is null or > 0).ToList();
        var current = sizes.FirstOrDefault(c => c.AmpacityA >= needA * (1 - 1e-9));
        var least = sizes.FirstOrDefault(c => c.AmpacityA >= needA * (1 - 1e-9) && c.DropShare <= b.DropShare * (1 + 1e-9));
        var wire = b.Wire != WireSize.Computed ? Choice(s, Conductor.Of(b.Wire), run, volts)
            : least is null ? null : b.School == WireSchool.OneUp ? sizes.FirstOrDefault(c => c.Size > least.Size) ?? least : least;
        var copper = wire is null ? null : Conductor.Of(wire.Size);
        var terminal = new Terminal(e.SolidMm2, s.Sheet.Outdoor.LargestWireMm2, e.FerruleMm2);
        var earth = copper is null ? "" : Calls.Name(copper.Awg ? EarthConductor.American(s.Rules == RuleBook.NorthAmerica ? maximum : device,
            least is { } l && Conductor.Of(l.Size).Awg ? l.Size : copper.Size, copper.Size) : EarthConductor.Iec(copper.Size));
        var fill = b.Way == WireWay.Conduit && copper is not null
            ? Wiring.ConduitFill.Of(b.Conduit, [.. Enumerable.Repeat(Wiring.ConduitFill.WireMm2(copper.Size), 3)]) : null;
        var (needs, rating) = DisconnectRating.Of(run, metric);
        var startDrop = copper is null ? 0 : s.Unit.IsDc ? wire!.DropShare
            : VoltageDrop.Volts(s.WayM, s.StartA, copper.Awg ? copper.OhmM(75) : copper.OhmM(70), copper.ReactanceM,
                s.Unit.SingleSpeed ? StartFactor : 1) / volts;
        var end = s.Unit.IsDc && copper is not null ? VoltageDrop.ConstantPower(run * volts, volts, 2 * s.WayM * DcCable.LoopOhmM(copper)) : null;
        return new BranchPlan
        {
            Volts = volts,
            RunA = run,
            McaA = need.McaA,
            DeviceA = device,
            StartingA = starting,
            MaximumA = maximum,
            NeedA = needA,
            Wire = wire,
            Least = least,
            ByDrop = least is not null && current is not null && least.Size > current.Size,
            Sizes = Round(sizes, wire ?? least),
            WayM = s.WayM,
            StartShare = 1 - startDrop,
            StartA = s.StartA,
            Terminal = copper is null ? TerminalFitting.Unknown : TerminalFit.Of(terminal, copper, e.Build, e.Ferrule),
            ConduitSize = fill?.Size ?? "",
            ConduitFill = fill?.Fill ?? 0,
            Earth = earth,
            DisconnectNeedA = needs,
            DisconnectA = e.DisconnectA ?? rating,
            WhipM = Whip.For(e.WhipM),
            TooHot = sizes.Count > 0 && sizes.All(c => c.AmpacityA is null),
            EndV = end?.Volts,
            Ruling = least is null ? "no size is enough" : least.Size > (current?.Size ?? least.Size) ? "the volts lost on the way" : s.Unit.IsDc
                ? "current for hours" : s.Rules == RuleBook.NorthAmerica ? "minimum circuit ampacity" : "the breaker it must bear",
        };
    }

    private static (double Starting, double Maximum) Devices(WiringSetting s, double run)
    {
        var need = s.Need;
        if (s.Unit.IsDc)
            return DcFuse.RatingA(s.Design.Battery.Fuse, run) is { } fuse ? (fuse, fuse) : (0, 0);
        if (s.Metric)
        {
            var first = Protection.AtLeast(Protection.Iec, need.MostA) ?? Protection.Iec[^1];
            return (first, s.Unit.MocpA ?? first);
        }
        if (!s.Unit.SingleSpeed)
            return (need.MocpA ?? 15, need.MocpA ?? 15);
        var fan = Math.Max(0, need.RunA - s.Unit.RlaA);
        var (starting, maximum) = Protection.Of([new RunningMode([s.Unit.RlaA], [fan])]);
        var most = s.Unit.MocpA ?? maximum;
        return (Math.Min(starting, most), most);
    }

    private static IReadOnlyList<WireChoice> Round(List<WireChoice> sizes, WireChoice? at)
    {
        var i = at is null ? sizes.Count - 1 : sizes.FindIndex(c => c.Size == at.Size);
        var from = Math.Max(0, i - 1);
        return [.. sizes.Skip(from).Take(3)];
    }
}

/// <summary>Something held against what it may be at most.</summary>
/// <param name="What">Its name.</param>
/// <param name="Words">Both figures.</param>
/// <param name="Used">The one over the other.</param>
public sealed record UsedCheck(string What, Phrase Words, double Used);

/// <summary>A conductor on the bank and the fuse that protects it: of the inverter, or of a unit that runs on the bank.</summary>
public sealed record BankCircuit
{
    /// <summary>What <see cref="Feeds"/> says of the inverter's own circuit.</summary>
    public const string Inverter = "inverter";

    private const double FuseTimes = 1.25;
    private const double ChargedOverOpen = 1.07;

    /// <summary>What it feeds.</summary>
    public required string Feeds { get; init; }

    /// <summary>Current for hours.</summary>
    public required double Amps { get; init; }

    /// <summary>Cable, in words, and what it carries.</summary>
    public required string Cable { get; init; }

    public required double AmpacityA { get; init; }

    /// <summary>Of the bank into a dead short at its fuse.</summary>
    public required double ShortA { get; init; }

    public required bool ShortEstimated { get; init; }

    /// <summary>Of the bank while it is charged.</summary>
    public required double HighestV { get; init; }

    /// <summary>Typed, else the smallest that carries the current; 0 where the class has none.</summary>
    public required double FuseA { get; init; }

    /// <summary>Largest that protects the cable.</summary>
    public required double MostA { get; init; }

    /// <summary>What it interrupts; nothing where it is not made for these volts.</summary>
    public required double? InterruptsA { get; init; }

    /// <summary>Farthest from the battery.</summary>
    public required double FarthestM { get; init; }

    /// <summary>The fuse from which on it bears the current for hours.</summary>
    public double NeedA => FuseTimes * Amps;

    /// <summary>Of a conductor on this rig's bank.</summary>
    public static BankCircuit Of(WiringSetting s, string feeds, double amps, double? fuseA, string cable, double ampacityA)
    {
        var (battery, d) = (s.Sources.Battery, s.Design.Battery);
        var bank = SourceBuilder.Bank(battery);
        var full = bank.OpenCircuitVoltage(1);
        return new BankCircuit
        {
            Feeds = feeds,
            Amps = amps,
            Cable = cable,
            AmpacityA = ampacityA,
            ShortA = d.BlockOhm is { } ohm ? BankShort.Amps(full, ohm * battery.Series, battery.Blocks) : bank.ShortCircuitA(0),
            ShortEstimated = d.BlockOhm is null,
            HighestV = full * ChargedOverOpen,
            FuseA = fuseA ?? DcFuse.RatingA(d.Fuse, amps) ?? 0,
            MostA = DcFuse.MostA(s.DcRules, ampacityA),
            InterruptsA = battery.FuseInterruptsA ?? DcFuse.InterruptsA(d.Fuse, full * ChargedOverOpen),
            FarthestM = DcFuse.FarthestM(s.DcRules, d.Sheathed, true),
        };
    }

    /// <summary>Its fuse against current, cable, short and distance.</summary>
    public IEnumerable<UsedCheck> Checks(BatteryWiringDesign d)
    {
        yield return new("Fuse against the current", Phrase.Of($"{NeedA:Current} of {FuseA:Current}"), NeedA / Math.Max(1, FuseA));
        yield return new("Cable behind the fuse", Phrase.Of($"{FuseA:Current} of {MostA:Current}"), FuseA / Math.Max(1, MostA));
        yield return InterruptsA is { } breaks ? new("Fuse against a short", Phrase.Of($"{ShortA:Current} of {breaks:Current}"), ShortA / breaks)
            : new("Fuse against a short", Phrase.Of($"not made for {HighestV:Voltage}"), 2);
        yield return new("Battery to fuse", Phrase.Of($"{d.FuseM:SmallLength} of {FarthestM:SmallLength}"), d.FuseM / FarthestM);
    }
}

/// <summary>Between battery and inverter.</summary>
public sealed record BatteryPlan
{
    public required BankCircuit Circuit { get; init; }
    public required double SurgeA { get; init; }
    public required double LowestV { get; init; }
    public required int Parallels { get; init; }

    /// <summary>What the cable must carry.</summary>
    public required double NeedA { get; init; }

    public required double DropShare { get; init; }

    /// <summary>Cable that would do; empty where none does.</summary>
    public required string Asked { get; init; }

    /// <summary>A full bank behind this cable, at the surge.</summary>
    public required double SurgeV { get; init; }

    public Precharge? Precharge { get; init; }
    public required double LoopOhm { get; init; }

    private const double Efficiency = 0.90;
    private const double SurgeEfficiency = 0.85;
    private const double SurgeTimes = 2;

    /// <summary>Size that a typed cable is judged as: the largest not above it.</summary>
    public static WireSize Size(WiringSetting s) => Conductor.NotAbove(s.Sources.Battery.CableMm2, DcCable.Awg(s.DcRules));

    /// <summary>Plans it; null where there is no inverter on a battery.</summary>
    public static BatteryPlan? Of(WiringSetting s)
    {
        if (!s.HasInverter)
            return null;
        var (battery, inverter, d) = (s.Sources.Battery, s.Sources.Inverter, s.Design.Battery);
        var bank = SourceBuilder.Bank(battery);
        var lowest = bank.CutOffVoltage;
        var amps = DcCable.InverterA(inverter.ContinuousW, Efficiency, lowest);
        var surge = inverter.Surge.Count > 0 ? inverter.Surge.Max(p => p.PowerW) : inverter.PeakW ?? SurgeTimes * inverter.ContinuousW;
        var surgeA = DcCable.InverterA(surge, SurgeEfficiency, lowest);
        var ask = new DcCable.Ask(s.DcRules, amps, battery.CableM, battery.BankV, d.DropShare, d.Insulation, d.EngineSpace, d.AirC, d.Parallels);
        var wire = Conductor.Of(Size(s));
        var found = battery.CableM > 0 ? DcCable.Of(ask) : null;
        var loop = 2 * battery.CableM * DcCable.LoopOhmM(wire) / d.Parallels;
        var full = bank.OpenCircuitVoltage(1);
        return new BatteryPlan
        {
            Circuit = BankCircuit.Of(s, BankCircuit.Inverter, amps, d.FuseA, $"{(d.Parallels > 1 ? $"{d.Parallels} × " : "")}{Calls.Name(wire.Size)}",
                DcCable.Carries(ask, wire.Size, d.Parallels)),
            SurgeA = surgeA,
            LowestV = lowest,
            Parallels = d.Parallels,
            NeedA = DcCable.Continuous(s.DcRules) * amps,
            DropShare = DcCable.DropV(ask, wire, d.Parallels) / battery.BankV,
            Asked = found is null ? "" : (found.Count > 1 ? $"{found.Count} × " : "") + Calls.Name(found.Size),
            SurgeV = full - surgeA * loop,
            Precharge = d is { InverterMf: { } mf, PrechargeOhm: { } r } ? Wiring.Precharge.Of(mf / 1000, full, r) : null,
            LoopOhm = loop,
        };
    }

    /// <summary>Cable and fuse held against what they may be.</summary>
    public IEnumerable<UsedCheck> Checks(BatteryWiringDesign d) =>
    [
        new("Cable", Phrase.Of($"{NeedA:Current} of {Circuit.AmpacityA:Current}, {Circuit.Cable}"), NeedA / Math.Max(1, Circuit.AmpacityA)),
        new("Volts lost", Phrase.Of($"{DropShare:Fraction} of {d.DropShare:Fraction}"), DropShare / d.DropShare), .. Circuit.Checks(d),
    ];
}

/// <summary>Between modules and controller.</summary>
/// <param name="Strings">Side by side.</param>
/// <param name="ColdV">Of a string on a cold morning.</param>
/// <param name="MostA">Current that counts.</param>
/// <param name="Wire">The size.</param>
/// <param name="WireBears">It carries the current in its heat.</param>
/// <param name="TerminalBears">Its terminals do.</param>
/// <param name="DropShare">Lost on the way.</param>
/// <param name="FusesNeeded">Each string wants one.</param>
/// <param name="FuseA">Of this rating; nothing where none is made or the modules bear none so large.</param>
/// <param name="Measured">What a string's measured volts say; nothing where none are typed.</param>
public sealed record PvPlan(int Strings, double ColdV, double MostA, WireSize Wire, string WireName, bool WireBears, bool TerminalBears, double DropShare,
    bool FusesNeeded, double? FuseA, StringCheck? Measured)
{
    private const double MayLose = 0.02;

    /// <summary>Plans it; null where there are no modules.</summary>
    public static PvPlan? Of(WiringSetting s)
    {
        var (m, d) = (s.Sources.Modules, s.Design.Pv);
        if (m.Count == 0)
            return null;
        var series = Math.Min(m.Series, m.Count);
        var strings = Math.Max(1, m.Count / series);
        var terminals = d.Terminals75 ? WireInsulation.C75 : WireInsulation.C60;
        double Drop(Conductor wire) => VoltageDrop.Volts(d.CableM, strings * m.ImpA, wire.Awg ? wire.OhmM(75) : wire.OhmM(70, true)) / (series * m.VmpV);
        var sizes = Conductor.Series(!s.Metric).Where(c => c.AreaMm2 >= 1.5).ToList();
        var size = d.Wire != WireSize.Computed ? Conductor.Of(d.Wire) : sizes.FirstOrDefault(c =>
            PvCircuit.Carries(c.Size, m.IscA, strings, d.AirC, d.OnRoof, terminals) is { Wire: true, Terminal: true } && Drop(c) <= MayLose) ?? sizes[^1];
        var (wire, terminal) = PvCircuit.Carries(size.Size, m.IscA, strings, d.AirC, d.OnRoof, terminals);
        return new PvPlan(strings, PvStrings.ColdV(series, m.VocV, m.VocPerK, s.ColdestC), PvCircuit.MostA(m.IscA, strings), size.Size, Calls.Name(size.Size),
            wire, terminal, Drop(size), PvCircuit.FusesNeeded(m.IscA, strings, m.SeriesFuseA),
            PvCircuit.FuseA(m.IscA) is { } fuse && fuse <= m.SeriesFuseA ? fuse : null,
            d.StringV is { } volts ? StringCheck.Of(series, m.VocV, volts) : null);
    }
}
