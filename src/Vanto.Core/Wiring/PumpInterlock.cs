using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>How pump, head and outdoor unit are fed.</summary>
public enum PumpArrangement
{
    [Called("the head is fed, and feeds the outdoor unit")] HeadFed, [Called("the outdoor unit is fed, and feeds the head")] OutdoorFed,
    [Called("each is fed by itself")] Separate, [Called("each by itself, with a contactor")] Contactor,
}

/// <summary>What a piece of the net does.</summary>
public enum NetPart { [Called("wire")] Wire, [Called("fuse")] Fuse, [Called("alarm contact")] Alarm, [Called("contactor pole")] Pole }

/// <summary>One piece between two nodes.</summary>
/// <param name="From">Such as <c>Head.L</c>.</param>
/// <param name="To">The other.</param>
/// <param name="Part">What it is.</param>
/// <param name="Coil">Node whose volts close a contactor's pole; empty for other parts.</param>
public sealed record NetEdge(string From, string To, NetPart Part, string Coil = "");

/// <summary>What the alarm does to the unit.</summary>
public enum AlarmEffect { [Called("stops it directly")] Direct, [Called("stops it through the head")] Indirect, [Called("does not stop it")] None }

/// <summary>What a net was found to do.</summary>
/// <param name="Fed">Head, outdoor unit and pump are live in use.</param>
/// <param name="Effect">Of the alarm.</param>
/// <param name="PumpStays">The pump keeps its power while the alarm is open.</param>
/// <param name="DataWhole">Data goes by wire alone from head to outdoor unit and touches nothing else.</param>
/// <param name="PumpFused">Nothing live reaches the pump round its fuse.</param>
/// <param name="AlarmFused">Nor the alarm's contact.</param>
/// <param name="NeutralWhole">Neutral reaches pump and both units by wire.</param>
public sealed record NetVerdict(bool Fed, AlarmEffect Effect, bool PumpStays, bool DataWhole, bool PumpFused, bool AlarmFused, bool NeutralWhole)
{
    /// <summary>True where the pump's alarm does what it must.</summary>
    public bool Good => Fed && Effect != AlarmEffect.None && PumpStays && DataWhole && PumpFused && AlarmFused && NeutralWhole;
}

/// <summary>The pump's alarm as a net of wires, fuses and contacts. The three arrangements are common practice; what they do is found by following
/// them.</summary>
public static class PumpInterlock
{
    /// <summary>Node whose volts close the contactor.</summary>
    public const string Coil = "Q1.A1";

    private static NetEdge W(string a, string b) => new(a, b, NetPart.Wire);

    private static NetEdge F(string a, string b) => new(a, b, NetPart.Fuse);

    private static readonly NetEdge Contact = new("Alarm.1", "Alarm.2", NetPart.Alarm);
    private static readonly NetEdge[] Always = [W("Head.D", "Out.D"), W("Head.E", "Out.E")];

    /// <summary>The net of an arrangement.</summary>
    public static IReadOnlyList<NetEdge> Of(PumpArrangement arrangement) => arrangement switch
    {
        PumpArrangement.HeadFed =>
        [
            W("Supply.L", "Head.L"), F("Head.L", "Pump.L"), F("Head.L", "Alarm.1"), Contact, W("Alarm.2", "Out.L"),
            W("Supply.N", "Head.N"), W("Head.N", "Pump.N"), W("Head.N", "Out.N"), .. Always,
        ],
        PumpArrangement.OutdoorFed =>
        [
            W("Supply.L", "Out.L"), W("Out.L", "J.L"), F("J.L", "Pump.L"), F("J.L", "Alarm.2"), Contact, W("Alarm.1", "Head.L"),
            W("Supply.N", "Out.N"), W("Out.N", "Head.N"), W("Head.N", "Pump.N"), .. Always,
        ],
        PumpArrangement.Separate =>
        [
            W("SupplyHead.L", "J.L"), W("SupplyOut.L", "Out.L"), F("J.L", "Pump.L"), F("J.L", "Alarm.1"), Contact, W("Alarm.2", "Head.L"),
            W("SupplyHead.N", "Head.N"), W("Head.N", "Pump.N"), W("SupplyOut.N", "Out.N"), .. Always,
        ],
        _ =>
        [
            W("SupplyHead.L", "J.L"), W("J.L", "Head.L"), new NetEdge("SupplyOut.L", "Out.L", NetPart.Pole, Coil), F("J.L", "Pump.L"),
            F("J.L", "Alarm.1"), Contact, W("Alarm.2", Coil), W("Head.N", "Q1.A2"), W("SupplyHead.N", "Head.N"), W("Head.N", "Pump.N"),
            W("SupplyOut.N", "Out.N"), .. Always,
        ],
    };

    private static readonly string[] Lives = ["Supply.L", "SupplyHead.L", "SupplyOut.L"];
    private static readonly string[] Neutrals = ["Supply.N", "SupplyHead.N", "SupplyOut.N"];

    /// <summary>Follows a net in use, with the alarm open, with every fuse out.</summary>
    public static NetVerdict Verify(IReadOnlyList<NetEdge> net)
    {
        var use = Live(net, e => true);
        var alarm = Live(net, e => e.Part != NetPart.Alarm);
        var fusesOut = Live(net, e => e.Part != NetPart.Fuse);
        var wires = Nets(net, e => e.Part == NetPart.Wire, new HashSet<string>());
        bool Reaches(string node, IEnumerable<string> from) => from.Any(f => wires.Are(f, node));
        var data = wires.Are("Head.D", "Out.D") && !new[] { "Head.D", "Out.D" }.Any(d => use(d) || Reaches(d, Neutrals) || fusesOut(d)
            || new[] { "Alarm.1", "Alarm.2", "Pump.L" }.Any(t => wires.Are(d, t)));
        return new NetVerdict(use("Head.L") && use("Out.L") && use("Pump.L"),
            !alarm("Out.L") ? AlarmEffect.Direct : !alarm("Head.L") ? AlarmEffect.Indirect : AlarmEffect.None,
            alarm("Pump.L"), data, !fusesOut("Pump.L"), !fusesOut("Alarm.1") && !fusesOut("Alarm.2"),
            new[] { "Pump.N", "Head.N", "Out.N" }.All(n => Reaches(n, Neutrals)));
    }

    private static Joined Nets(IReadOnlyList<NetEdge> net, Func<NetEdge, bool> closed, IReadOnlySet<string> coils)
    {
        var nets = new Joined();
        foreach (var e in net.Where(closed))
            if (e.Part != NetPart.Pole || coils.Contains(e.Coil))
                nets.Join(e.From, e.To);
        return nets;
    }

    /// <summary>Which nodes are live: contactors close one after the other until nothing changes.</summary>
    private static Func<string, bool> Live(IReadOnlyList<NetEdge> net, Func<NetEdge, bool> closed)
    {
        var coils = new HashSet<string>();
        while (true)
        {
            var nets = Nets(net, closed, coils);
            bool IsLive(string node) => Lives.Any(l => nets.Are(l, node));
            if (net.Where(e => e.Part == NetPart.Pole && IsLive(e.Coil)).Count(e => coils.Add(e.Coil)) == 0)
                return IsLive;
        }
    }

    /// <summary>The net as the fitter has it: with what was left out or left in.</summary>
    /// <param name="arrangement">Drawn so.</param>
    /// <param name="pumpFused">The pump has its fuse.</param>
    /// <param name="alarmFused">The alarm's contact has its fuse.</param>
    /// <param name="dataThroughAlarm">The data core was cut and landed on the alarm.</param>
    /// <param name="oldCoreLeft">The live core between head and outdoor unit was left in.</param>
    /// <param name="alarmWired">The alarm is wired at all.</param>
    public static IReadOnlyList<NetEdge> AsBuilt(PumpArrangement arrangement, bool pumpFused, bool alarmFused, bool dataThroughAlarm, bool oldCoreLeft,
        bool alarmWired)
    {
        var net = Of(arrangement).Select(e => e.Part != NetPart.Fuse || (e.To == "Pump.L" ? pumpFused : alarmFused) ? e : e with { Part = NetPart.Wire })
            .ToList();
        if (dataThroughAlarm)
        {
            net.RemoveAll(e => e.From == "Head.D");
            net.AddRange([W("Head.D", "Alarm.1"), W("Alarm.2", "Out.D")]);
        }
        if (oldCoreLeft || !alarmWired)
            net.Add(arrangement switch
            {
                PumpArrangement.HeadFed => W("Head.L", "Out.L"),
                PumpArrangement.Contactor => W("SupplyOut.L", "Out.L"),
                _ => W("J.L", "Head.L"),
            });
        return net;
    }
}
