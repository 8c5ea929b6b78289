using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Service;
using Vanto.Core.Shop;
using Vanto.Core.Stations;

namespace Vanto.Web.Demo;

/// <summary>Three years of one rig's life, with a coil that slowly clogs, and what the shop owns. Invented.</summary>
public static class DemoService
{
    private const string Fitter = "Piet Okafor-Lund", Owner = "Thistle Van crew";

    /// <summary>Readings before it drifts, and after.</summary>
    private const int Normal = 16, Drifting = 8;

    /// <summary>Days before today on which it was handed over.</summary>
    public const int HandedOverDaysAgo = 1095;

    /// <summary>Records of a rig, in the order written.</summary>
    public static IEnumerable<StationRecord> Of(string name, DateTimeOffset now) => name == "Thistle Van" ? Thistle(now) : [];

    private static IEnumerable<StationRecord> Thistle(DateTimeOffset now)
    {
        string Day(int ago) => now.AddDays(-ago).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        var at = 0;
        DateTimeOffset Next() => now.AddMinutes(-120 + at++);
        VisitRecord Visit(int ago, string done, string found, VisitReason why = VisitReason.Due, bool owner = false) => new(Guid.CreateVersion7(), Next(),
            owner ? Owner : Fitter, new VisitValues { Day = Day(ago), Reason = why, Done = done, Found = found, ByOwner = owner }, null);
        yield return Visit(1030, "joints-first, bracket-first", "dry at every joint; two bolts took a quarter turn");
        yield return Visit(900, "filter", "", owner: true);
        yield return Visit(735, "filter, drain, coil, outdoor-coil, bracket, joints, terminals", "as it was left");
        yield return Visit(560, "filter, drain", "water on the wall: mud in the drain", VisitReason.Call);
        yield return Visit(372, "filter, drain, coil, bracket, joints, terminals, generator", "the outdoor coil was left: no water at the site");
        yield return Visit(95, "filter, alarms", "", owner: true);
        var hand = new SplitMix64(9);
        for (var i = 0; i < Normal + Drifting; i++)
        {
            var outdoor = Math.Round(24 + 9 * hand.Uniform(), 1);
            var drift = i < Normal ? 0 : 0.16 * (i - Normal + 1);
            yield return new TrendRecord(Guid.CreateVersion7(), Next(), i % 3 == 0 ? Fitter : Owner, new TrendValues
            {
                Day = Day(1060 - i * 45),
                RanMin = 20,
                OutdoorC = outdoor,
                SplitK = Math.Round(11.6 - 0.08 * (outdoor - 28) + 0.3 * hand.Normal(), 1),
                RunA = Math.Round(9.4 + 0.11 * (outdoor - 28) + drift + 0.12 * hand.Normal(), 1),
                RunV = Math.Round(118.4 + 0.4 * hand.Normal(), 1),
            }, null);
        }
    }

    private static readonly ShelfList[] Kept = [ShelfList.Units, ShelfList.Prices, ShelfList.Tools, ShelfList.Crew];

    /// <summary>What the shop keeps for every rig: own units, prices, hire prices and people of the demo's rigs; pipe has become dearer since.</summary>
    private static IEnumerable<ShelfRecord> Shelves(DateTimeOffset now) =>
        from list in Kept
        from design in DemoRigs.Designs.Select(Dearer)
        from row in Shelf.Beside(design, list, []).ToKeep
        group Shelf.Keep(design, list, row.Key) by (list, row.Key) into rows
        select new ShelfRecord(Guid.CreateVersion7(), now, Fitter, rows.First(), null);

    private static JobDesign Dearer(JobDesign design) => design with
    {
        Plan = design.Plan with { Prices = [.. design.Plan.Prices.Select(p => p.Item == "pipe-coil" ? p with { Price = 124 } : p)] },
    };

    /// <summary>What the shop owns and holds.</summary>
    public static IEnumerable<StationRecord> Shop(DateTimeOffset now)
    {
        string Day(int ahead) => now.AddDays(ahead).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        InstrumentRecord Tool(string name, InstrumentType type, string serial, string resolution, string uncertainty, int calibrated) => new(
            Guid.CreateVersion7(), now, Fitter, new InstrumentValues
            {
                Name = name,
                Type = type,
                Serial = serial,
                Resolution = resolution,
                Uncertainty = uncertainty,
                CalibratedOn = Day(-calibrated),
            }, null);
        yield return Tool("vacuum gauge, grey case", InstrumentType.VacuumGauge, "VG-0417", "1 micron", "10 %", 210);
        yield return Tool("clamp meter", InstrumentType.ClampMeter, "CM-2208", "0.1 A", "1.5 %", 350);
        yield return Tool("manifold, yellow", InstrumentType.PressureGauge, "MF-0031", "10 kPa", "1 %", 420);
        yield return Tool("torque wrench, long", InstrumentType.TorqueWrench, "TW-1190", "1 N·m", "4 %", 60);
        yield return new LicenceRecord(Guid.CreateVersion7(), now, Fitter,
            new LicenceValues { Person = "Ottoline Marsh", Scope = LicenceScope.Refrigerant, Number = "HD-55-102", Region = "here", Expires = Day(48) }, null);
        yield return new LicenceRecord(Guid.CreateVersion7(), now, Fitter,
            new LicenceValues { Person = Fitter, Scope = LicenceScope.Electrical, Number = "EL-7-881", Region = "here", Expires = Day(700) }, null);
        (string Part, StockMove Move, double Many)[] moves =
        [
            ("flare nut 3/8", StockMove.Counted, 40), ("flare nut 3/8", StockMove.Out, 8), ("flare nut 3/8", StockMove.Out, 12),
            ("flare nut 3/8", StockMove.Out, 10), ("sealant, cartridge", StockMove.Counted, 3), ("butyl tape", StockMove.In, 4),
            ("butyl tape", StockMove.Out, 6),
        ];
        foreach (var (part, move, many) in moves)
            yield return new StockRecord(Guid.CreateVersion7(), now, Fitter, new StockValues
            {
                Part = part,
                Move = move,
                Many = many,
                GoodUntil = part.StartsWith("sealant", StringComparison.Ordinal) ? Day(20) : "",
            }, null);
        foreach (var kept in Shelves(now))
            yield return kept;
    }
}
