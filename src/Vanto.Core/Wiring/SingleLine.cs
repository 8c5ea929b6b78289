using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>What a piece of the single line is.</summary>
public enum LineKindOf
{
    Battery, Fuse, Inverter, Shore, Generator, Transfer, Board, Breaker, Disconnect, Residual, Unit, Head, Pump, Modules, Isolator,
    Controller
}

/// <summary>A piece of the single line, placed.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">In words.</param>
/// <param name="Rating">Below the name.</param>
/// <param name="Volts">At it; 0 where it converts.</param>
/// <param name="X">Column.</param>
/// <param name="Y">Row.</param>
public sealed record LineNode(string Id, LineKindOf Kind, string Name, string Rating, double Volts, int X, int Y);

/// <summary>A conductor of the single line.</summary>
public sealed record LineEdge(string From, string To, string Wire, double CarriesA, double DeviceA);

/// <summary>What the single line lacks.</summary>
public enum LineFault { Unprotected, NoDisconnect, Voltage, TwoSources, Alone }

/// <summary>The whole rig as one line from its sources to its loads, places computed.</summary>
public sealed record SingleLine(IReadOnlyList<LineNode> Nodes, IReadOnlyList<LineEdge> Edges)
{
    private static readonly LineKindOf[] Sources = [LineKindOf.Battery, LineKindOf.Shore, LineKindOf.Generator, LineKindOf.Modules];
    private static readonly LineKindOf[] Protects = [LineKindOf.Fuse, LineKindOf.Breaker];
    private static readonly LineKindOf[] Converts = [LineKindOf.Inverter, LineKindOf.Controller];

    /// <summary>The job's line.</summary>
    public static SingleLine Of(WiringSetting s, BranchPlan branch, BatteryPlan? battery, PvPlan? pv)
    {
        var (nodes, edges) = (new List<LineNode>(), new List<LineEdge>());
        void Node(string id, LineKindOf kind, string name, string rating, double volts, int x, int y) => nodes.Add(new LineNode(id, kind, name, rating,
            volts, x, y));
        string A(double amps) => FormattableString.Invariant($"{amps:0.#} A");
        string V(double volts) => FormattableString.Invariant($"{volts:0.#} V");
        var (mains, bankV) = (s.Unit.SupplyVoltageV, s.Sources.Battery.BankV);
        var wire = branch.Wire?.Name ?? "no size";
        var carries = branch.Wire?.AmpacityA ?? 0;
        var dc = s.Unit.IsDc;
        var row = 0;
        if (battery is not null || dc)
        {
            Node("battery", LineKindOf.Battery, "battery", $"{V(bankV)} {s.Sources.Battery.BlockAh * s.Sources.Battery.Blocks:0} Ah", bankV, 0, row);
            Node("fuse", LineKindOf.Fuse, Calls.Name(s.Design.Battery.Fuse), A(battery?.Circuit.FuseA ?? branch.DeviceA), bankV, 1, row);
            edges.Add(new LineEdge("battery", "fuse", battery?.Circuit.Cable ?? wire, battery?.Circuit.AmpacityA ?? carries,
                battery?.Circuit.FuseA ?? branch.DeviceA));
            if (battery is not null)
            {
                Node("inverter", LineKindOf.Inverter, "inverter", FormattableString.Invariant($"{s.Sources.Inverter.RatedW:0} W"), 0, 3, row);
                edges.Add(new LineEdge("fuse", "inverter", battery.Circuit.Cable, battery.Circuit.AmpacityA, battery.Circuit.FuseA));
            }
            row++;
        }
        if (pv is not null)
        {
            Node("modules", LineKindOf.Modules, "modules", FormattableString.Invariant($"{s.Sources.Modules.Count} × {s.Sources.Modules.RatedW:0} W"),
                pv.ColdV, 0, row);
            if (s.Design.Pv.Isolator)
                Node("isolator", LineKindOf.Isolator, "isolator", $"{V(s.Design.Pv.IsolatorV ?? pv.ColdV)} {A(s.Design.Pv.IsolatorA ?? pv.MostA)}",
                    pv.ColdV, 1, row);
            Node("controller", LineKindOf.Controller, "controller", "", 0, 2, row);
            edges.Add(new LineEdge("modules", s.Design.Pv.Isolator ? "isolator" : "controller", pv.WireName, pv.MostA, pv.MostA));
            if (s.Design.Pv.Isolator)
                edges.Add(new LineEdge("isolator", "controller", pv.WireName, pv.MostA, pv.MostA));
            if (nodes.Any(n => n.Id == "fuse"))
                edges.Add(new LineEdge("controller", "fuse", "", battery?.Circuit.AmpacityA ?? carries, battery?.Circuit.FuseA ?? branch.DeviceA));
            row++;
        }
        var generator = s.Sources.Generator.Fitted;
        if (!dc)
        {
            Node("shore", LineKindOf.Shore, "shore", $"{V(s.Sources.Shore.Volts)} {A(s.Sources.Shore.BreakerA)}",
                s.Sources.Shore.PluggedIn ? s.Sources.Shore.Volts : mains, 1, row++);
            if (generator)
                Node("generator", LineKindOf.Generator, "generator", FormattableString.Invariant($"{s.Sources.Generator.RatedW:0} W"),
                    s.Sources.Generator.OutputV, 1, row++);
            Node("transfer", LineKindOf.Transfer, "transfer", "", mains, 4, 0);
            foreach (var source in new[] { battery is null ? "" : "inverter", "shore", generator ? "generator" : "" }.Where(x => x.Length > 0))
                edges.Add(new LineEdge(source, "transfer", "", 0, 0));
            Node("board", LineKindOf.Board, "board", V(mains), mains, 5, 0);
            edges.Add(new LineEdge("transfer", "board", "", 0, 0));
            Node("breaker", s.Design.Branch.Device == DeviceKind.Fuse ? LineKindOf.Fuse : LineKindOf.Breaker,
                s.Design.Branch.Device == DeviceKind.Fuse ? "fuse" : "breaker",
                $"{A(branch.DeviceA)} {s.Poles}P", mains, 6, 0);
            edges.Add(new LineEdge("board", "breaker", "", 0, 0));
        }
        var last = dc ? "fuse" : "breaker";
        var x = dc ? 3 : 7;
        var y = dc && battery is not null ? row++ : 0;
        if (s.Residual != ResidualKind.None && !dc)
        {
            Node("residual", LineKindOf.Residual, "residual", "current", mains, x++, 0);
            edges.Add(new LineEdge(last, "residual", wire, carries, branch.DeviceA));
            last = "residual";
        }
        if (s.Design.Entry.Disconnect)
        {
            Node("disconnect", LineKindOf.Disconnect, "disconnect", branch.DisconnectA is { } rating ? A(rating) : "", dc ? bankV : mains, x++, y);
            edges.Add(new LineEdge(last, "disconnect", wire, carries, branch.DeviceA));
            last = "disconnect";
        }
        Node("unit", LineKindOf.Unit, s.Unit.JoinedOnSite ? "outdoor unit" : "unit", $"{V(branch.Volts)} {A(branch.RunA)}", mains, x, y);
        edges.Add(new LineEdge(last, "unit", wire, carries, branch.DeviceA));
        if (s.Unit.JoinedOnSite)
        {
            Node("head", LineKindOf.Head, "head", FormattableString.Invariant($"{s.Design.Between.Terminals.Count} × {s.Design.Between.CoreMm2:0.##} mm²"),
                mains, x, y + 1);
            edges.Add(new LineEdge("unit", "head", "", 0, 0));
        }
        if (s.Pump)
        {
            Node("pump", LineKindOf.Pump, "pump", "", mains, x, y + 2);
            edges.Add(new LineEdge(s.Unit.JoinedOnSite ? "head" : "unit", "pump", "", 0, 0));
        }
        return new SingleLine(nodes, edges);
    }

    /// <summary>What is wrong with a line: a load behind no protection that its wire bears, no disconnect, volts that do not agree, two sources on one
    /// node.</summary>
    public IReadOnlyList<(LineFault Fault, string Node)> Faults()
    {
        var by = Nodes.ToDictionary(n => n.Id);
        var faults = new List<(LineFault, string)>();
        var into = Edges.ToLookup(e => e.To);
        foreach (var node in Nodes.Where(n => Edges.All(e => e.From != n.Id && e.To != n.Id)))
            faults.Add((LineFault.Alone, node.Id));
        foreach (var load in Nodes.Where(n => n.Kind == LineKindOf.Unit))
            foreach (var path in Paths(load.Id, into, by, []))
            {
                var nodes = path.Select(e => by[e.From]).Append(by[load.Id]).ToList();
                if (!nodes.Any(n => Protects.Contains(n.Kind)) || Unguarded(path, by))
                    faults.Add((LineFault.Unprotected, load.Id));
                if (!nodes.Any(n => n.Kind == LineKindOf.Disconnect))
                    faults.Add((LineFault.NoDisconnect, load.Id));
            }
        foreach (var e in Edges)
            if (by[e.From].Volts is > 0 and var a && by[e.To].Volts is > 0 and var b && Math.Abs(a - b) > Off * Math.Max(a, b)
                && !(Converts.Contains(by[e.From].Kind) || Converts.Contains(by[e.To].Kind)))
                faults.Add((LineFault.Voltage, e.To));
        foreach (var node in Nodes.Where(n => n.Kind is not LineKindOf.Transfer))
            if (into[node.Id].Count(e => by[e.From].Kind is LineKindOf.Shore or LineKindOf.Generator or LineKindOf.Inverter) > 1)
                faults.Add((LineFault.TwoSources, node.Id));
        return [.. faults.Distinct()];
    }

    /// <summary>120 V and 115 V are one voltage.</summary>
    private const double Off = 0.12;

    private static bool Unguarded(List<LineEdge> path, Dictionary<string, LineNode> by)
    {
        var guarded = false;
        foreach (var e in path)
        {
            if (by[e.From].Kind == LineKindOf.Battery)
            {
                guarded = by[e.To].Kind == LineKindOf.Fuse;
                if (!guarded)
                    return true;
            }
            guarded |= Protects.Contains(by[e.From].Kind);
        }
        return !guarded;
    }

    private static IEnumerable<List<LineEdge>> Paths(string to, ILookup<string, LineEdge> into, Dictionary<string, LineNode> by, HashSet<string> seen)
    {
        foreach (var e in into[to])
            if (!seen.Contains(e.From))
            {
                if (Sources.Contains(by[e.From].Kind))
                    yield return [e];
                foreach (var before in Paths(e.From, into, by, [.. seen, to]))
                    yield return [.. before, e];
            }
    }
}
