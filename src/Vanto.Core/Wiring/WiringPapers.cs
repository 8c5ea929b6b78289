using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>Schedule, labels and take-off of the circuits. Allowances are common practice.</summary>
public static class WiringPapers
{
    private const double Waste = 0.10;
    private const double TailM = 0.30;
    private const double FiveFeetM = 1.524;
    private const double StickM = 3.05;

    /// <summary>Cable to buy, m: (way + tails)·(1 + waste), up to what is sold.</summary>
    public static double BuyM(double wayM,
        bool feet) => Math.Ceiling((wayM + 2 * TailM) * (1 + Waste) / (feet ? FiveFeetM : 1) - 1e-9) * (feet ? FiveFeetM : 1);

    /// <summary>Supports of a run: one every so many metres and two more; NEC 358.30, 356.30, 334.30, recalled.</summary>
    public static int Straps(double wayM, WireWay way, ConduitKind conduit) => (int)Math.Ceiling(wayM / (way != WireWay.Conduit ? 1.37
        : conduit switch { ConduitKind.Emt => 3.05, ConduitKind.Lfmc => 1.37, _ => 0.90 }) - 1e-9) + 2;

    private static string Said(double amps) => FormattableString.Invariant($"{amps:0.#} A");

    /// <summary>All circuits, numbered.</summary>
    public static IReadOnlyList<CircuitRow> Schedule(WiringSetting s, BranchPlan b, BatteryPlan? battery, PvPlan? pv)
    {
        var rows = new List<CircuitRow>
        {
            new(1, s.Unit.Name, s.Unit.IsDc ? "battery" : "board", b.Volts, b.RunA, b.DeviceA, s.Unit.IsDc ? Calls.Name(s.Design.Battery.Fuse)
                : $"{s.DeviceName}, {s.Poles}P", b.Wire?.Name ?? "none is enough", b.Earth, b.WayM, b.Wire?.DropShare ?? 0,
                b.Wire?.AmpacityA is > 0 and var carries ? b.NeedA / carries : 0, b.Ruling),
        };
        if (battery is not null)
            rows.Add(new CircuitRow(rows.Count + 1, CircuitRow.Inverter, "battery", s.Sources.Battery.BankV, battery.Circuit.Amps, battery.Circuit.FuseA,
                Calls.Name(s.Design.Battery.Fuse), battery.Circuit.Cable, Calls.Name(EarthConductor.OfInverter(
                    BatteryPlan.Size(s))), s.Sources.Battery.CableM, battery.DropShare,
                battery.Circuit.AmpacityA > 0 ? battery.NeedA / battery.Circuit.AmpacityA : 0, "current for hours, and the drop"));
        if (pv is not null)
            rows.Add(new CircuitRow(rows.Count + 1, CircuitRow.Modules, "roof", pv.ColdV, pv.MostA, pv.FusesNeeded ? pv.FuseA : null,
                pv.FusesNeeded ? "a fuse in each string" : "no string fuse asked", pv.WireName, "frames to earth", s.Design.Pv.CableM, pv.DropShare,
                pv.WireBears ? pv.DropShare / 0.02 : 1.01, "1.25 · 1.25 · short-circuit current"));
        if (s.BetweenM is { } between)
            rows.Add(new CircuitRow(rows.Count + 1, "head", "outdoor unit", b.Volts, b.RunA, null, "by the unit",
                FormattableString.Invariant($"{s.Design.Between.Terminals.Count} × {s.Design.Between.CoreMm2:0.##} mm²"), "core of the cable", between, 0, 0,
                "the unit's manual"));
        if (s.Pump)
            rows.Add(new CircuitRow(rows.Count + 1, "condensate pump", Calls.Name(s.Design.Between.Fed), b.Volts, 0.2,
                s.Design.Between.PumpFused ? 1 : null, s.Design.Between.PumpFused ? "its own fuse" : "no fuse", "0.75 mm²", "as the pump asks", 1, 0, 0,
                "the pump's manual"));
        return rows;
    }

    /// <summary>Text of each label at a breaker or disconnect.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Labels(WiringSetting s, BranchPlan b)
    {
        var labels = new List<IReadOnlyList<string>>
        {
            new[]
            {
                $"1 {s.Unit.Name.ToUpperInvariant()}",
                FormattableString.Invariant($"{b.Volts:0} V {s.Poles}P {b.DeviceA:0.#} A · {b.Wire?.Name ?? "no wire"} Cu"),
                FormattableString.Invariant($"MCA {b.McaA:0.##} · MAX {b.MaximumA:0.#} A"),
                $"Isolator: {(s.Design.Entry.Disconnect ? "beside the unit" : "none")}",
            },
        };
        if (s.TwoLives)
            labels.Add(["N IS LIVE", "prove both dead"]);
        if (s.HasInverter)
            labels.Add(["BATTERY", "cannot be switched off at its terminals"]);
        if (s.Sources.Modules.Count > 0)
            labels.Add(["SOLAR PV DC CIRCUIT", "LIVE IN DAYLIGHT"]);
        if (s.BetweenM is not null && s.Design.Between.Fed is PumpArrangement.Separate or PumpArrangement.Contactor)
            labels.Add(["TWO SUPPLIES", "open both"]);
        return labels;
    }

    /// <summary>What is bought and cut.</summary>
    public static IReadOnlyList<TakeOffLine> TakeOff(WiringSetting s, BranchPlan b, BatteryPlan? battery, PvPlan? pv)
    {
        var feet = !s.Metric;
        var lines = new List<TakeOffLine>();
        void Add(string what, string amount, string asks) => lines.Add(new TakeOffLine(what, amount, asks));
        string M(double metres) => FormattableString.Invariant($"{metres:0.##} m");
        string Each(double count) => FormattableString.Invariant($"{count:0}");
        const int lives = 2;
        if (b.Wire is { } wire)
        {
            var buy = BuyM(b.WayM, feet);
            if (s.Design.Branch.Way == WireWay.Conduit)
            {
                Add($"{wire.Name} single wire", $"{lives} × {M(buy)}", "unit");
                Add($"{b.Earth} earth wire", M(buy), "unit");
                if (b.ConduitSize.Length > 0)
                    Add($"{Calls.Name(s.Design.Branch.Conduit)} {b.ConduitSize} in", $"{Each(Math.Ceiling(b.WayM * (1 + Waste) / StickM))} × {M(StickM)}",
                        "unit");
            }
            else
                Add($"{Calls.Name(s.Design.Branch.Way)} {lives} × {wire.Name} and earth", M(buy), "unit");
            Add("straps", Each(Straps(b.WayM, s.Design.Branch.Way, s.Design.Branch.Conduit)), "unit");
            if (s.Design.Entry.Ferrule)
                Add("ferrules", Each(Math.Ceiling(2 * (lives + 1) * (1 + Waste))), "unit");
        }
        Add(s.Unit.IsDc ? Calls.Name(s.Design.Battery.Fuse) : s.DeviceName, $"{Said(b.DeviceA)}, {s.Poles}P", "unit");
        if (s.Design.Entry.Disconnect && b.DisconnectA is { } disconnect)
            Add("disconnect", Said(disconnect), "unit");
        if (b.WhipM is { } whip && s.Design.Branch.Way == WireWay.Conduit)
            Add("whip with fittings", M(whip), "unit");
        if (battery is not null)
        {
            var each = BuyM(s.Sources.Battery.CableM, false);
            Add($"{battery.Circuit.Cable} battery cable",
                $"{2 * battery.Parallels} × {M(s.Sources.Battery.CableM + 2 * TailM)}, buy {M(2 * battery.Parallels * each)}", "inverter");
            Add($"lugs for {battery.Circuit.Cable}, M{s.Design.Battery.StudM}", Each(4 * battery.Parallels), "inverter");
            Add($"{Calls.Name(s.Design.Battery.Fuse)} and holder", Said(battery.Circuit.FuseA), "inverter");
        }
        if (pv is not null)
        {
            Add($"{pv.WireName} PV wire", $"2 × {M(BuyM(s.Design.Pv.CableM, feet))}", "modules");
            Add("isolator for direct current, both poles", FormattableString.Invariant($"from {pv.ColdV:0} V, {pv.MostA:0.#} A"), "modules");
            if (pv.FusesNeeded && pv.FuseA is { } fuse)
                Add("string fuses and holders", $"{pv.Strings} × {Said(fuse)}", "modules");
        }
        if (s.BetweenM is { } between)
        {
            var cores = s.Design.Between.Terminals.Count;
            Add(FormattableString.Invariant($"cable {cores} × {s.Design.Between.CoreMm2:0.##} mm²"), M(BuyM(between, feet)), "head");
            Add("core and cable labels", Each(CoreLabels.Count(cores)), "head");
            Add("ferrules", Each(Math.Ceiling(2 * cores * (1 + Waste))), "head");
            if (s.Design.Between.Splices > 0)
                Add($"splice box, IP{s.Design.Between.BoxIp}", Each(s.Design.Between.Splices), "head");
        }
        if (s.Pump)
            Add("fuses and holders, 1 A", "2", "condensate pump");
        return lines;
    }
}
