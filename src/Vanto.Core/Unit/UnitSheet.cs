using System.Collections;
using System.Reflection;
using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Unit;

/// <summary>Names the figure that waits for a line of the unit sheet while it is empty.</summary>
/// <param name="figure">The station and what it works out with it.</param>
[AttributeUsage(AttributeTargets.Property)]
public sealed class WaitsForAttribute(string figure) : Attribute
{
    /// <summary>The figure.</summary>
    public string Figure { get; } = figure;
}

/// <summary>Which ends of a head its pipes and its drain may leave by.</summary>
public enum ExitSide { [Called("right")] Right, [Called("left")] Left, [Called("either")] Either }

/// <summary>Who must finish the job so that the warranty holds.</summary>
public enum Finisher { [Called("anyone")] Anyone, [Called("a licensed person")] Licensed }

/// <summary>What comes in the box.</summary>
public enum BoxKind
{
    [Called("screw")] Screw, [Called("anchor")] Anchor, [Called("drain hose")] Hose, [Called("wall sleeve")] Sleeve, [Called("line set")] LineSet,
    [Called("drain elbow")] Elbow, [Called("foot pad")] Pad, [Called("remote control")] Remote, [Called("hex key")] HexKey, [Called("cable")] Cable,
    [Called("something else")] Other,
}

/// <summary>One kind of part in the box.</summary>
public sealed record BoxPart : DesignPart
{
    [Ask("Part")] public BoxKind Kind { get; init; } = BoxKind.Screw;
    [Ask("Called", Longest = 80)] public string Name { get; init; } = "";
    [Field(QuantityKind.Count, 1, 500, Label = "How many")] public int Count { get; init; } = 1;
    [Field(QuantityKind.SmallLength, 0.0005, 1, Label = "Its size", Help = "thickness of a screw, inside of a hose, across flats of a key", Optional = true)]
    public double? SizeM { get; init; }
    [Field(QuantityKind.Length, 0.001, 60, Label = "Its length", Optional = true)] public double? LengthM { get; init; }
    [Ask("Of", Longest = 60)] public string Material { get; init; } = "";
}

/// <summary>An error code with the words of the manual.</summary>
public sealed record ErrorCode : DesignPart
{
    [Ask("Code", Longest = 12)] public string Code { get; init; } = "";
    [Ask("The manual says", Longest = 400)] public string Words { get; init; } = "";
}

/// <summary>The head, or the part indoors.</summary>
public sealed record HeadSheet : DesignPart
{
    private const string Wall = "Layout: where the head may hang";
    private const string Hole = "Layout: the hole set out";

    [Ask("Model on its plate", Longest = 60)] public string Model { get; init; } = "";
    [WaitsFor(Wall), Field(QuantityKind.SmallLength, 0.2, 2, Label = "Width", Optional = true)] public double? WidthM { get; init; }
    [WaitsFor(Wall), Field(QuantityKind.SmallLength, 0.1, 1.5, Label = "Height", Optional = true)] public double? HeightM { get; init; }
    [WaitsFor(Wall), Field(QuantityKind.SmallLength, 0.05, 1.5, Label = "Depth", Optional = true)] public double? DepthM { get; init; }
    [WaitsFor("Mount: screws of the plate"), Field(QuantityKind.Mass, 1, 120, Label = "Weight", Optional = true)] public double? MassKg { get; init; }
    [WaitsFor(Wall), Field(QuantityKind.SmallLength, 0, 1, Label = "Free above it", Optional = true)] public double? AboveM { get; init; }
    [WaitsFor(Wall), Field(QuantityKind.SmallLength, 0, 1, Label = "Free at each side", Optional = true)] public double? BesideM { get; init; }
    [WaitsFor(Wall), Field(QuantityKind.Length, 0, 5, Label = "Free in front", Optional = true)] public double? FrontM { get; init; }
    [WaitsFor(Hole), Field(QuantityKind.SmallLength, -0.5, 2, Label = "Hole from the plate's left edge", Help = "to the middle of the hole", Optional = true)]
    public double? HoleRightM { get; init; }
    [WaitsFor(Hole), Field(QuantityKind.SmallLength, -0.5, 1, Label = "Hole above the plate's lower edge", Help = "below it with a minus", Optional = true)]
    public double? HoleUpM { get; init; }
    [WaitsFor(Hole), Field(QuantityKind.SmallLength, 0.02, 0.2, Label = "Hole, across", Optional = true)] public double? HoleM { get; init; }
    [WaitsFor("Mount: screws of the plate"), Field(QuantityKind.Count, 1, 12, Label = "Rows of screw holes in the plate", Optional = true)]
    public int? ScrewRows { get; init; }
    [WaitsFor("Mount: screws of the plate"), Field(QuantityKind.SmallLength, 0.005, 0.5, Label = "Screw hole to screw hole", Optional = true)]
    public double? ScrewPitchM { get; init; }
    [Ask("Pipes may leave")] public ExitSide Pipes { get; init; } = ExitSide.Either;
    [Ask("Its drain may leave")] public ExitSide Drain { get; init; } = ExitSide.Either;
    [WaitsFor("Layout: the drain"), Field(QuantityKind.Length, 0, 5, Label = "Its drain hose", Optional = true)] public double? DrainHoseM { get; init; }
    [WaitsFor("Layout: the bundle in the hole"), Field(QuantityKind.SmallLength, 0.005, 0.05, Label = "Drain hose, outside", Optional = true)]
    public double? DrainM { get; init; }
    [WaitsFor("Layout: sound at the pillow"), Field(QuantityKind.Number, 10, 90, Label = "Sound at its lowest, dB(A)", Optional = true)]
    public double? QuietDb { get; init; }
    [WaitsFor("Layout: sound at the pillow"), Field(QuantityKind.Number, 10, 100, Label = "Sound at its highest, dB(A)", Optional = true)]
    public double? LoudDb { get; init; }
}

/// <summary>The outdoor unit, or the part on the roof.</summary>
public sealed record OutdoorSheet : DesignPart
{
    private const string Place = "Layout: where it may stand";
    private const string Feet = "Mount: feet and bracket";

    [Ask("Model on its plate", Longest = 60)] public string Model { get; init; } = "";
    [Ask("Heads that belong to it", Longest = 400, Help = "models that its manual lists, with commas")] public string Heads { get; init; } = "";
    [WaitsFor(Place), Field(QuantityKind.SmallLength, 0.2, 2.5, Label = "Width", Optional = true)] public double? WidthM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.SmallLength, 0.1, 2.5, Label = "Height", Optional = true)] public double? HeightM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.SmallLength, 0.1, 2, Label = "Depth", Optional = true)] public double? DepthM { get; init; }
    [WaitsFor("Mount: every load"), Field(QuantityKind.Mass, 2, 300, Label = "Weight", Optional = true)] public double? MassKg { get; init; }
    [WaitsFor(Feet), Field(QuantityKind.SmallLength, 0.1, 2, Label = "Feet apart along it", Optional = true)] public double? FeetAlongM { get; init; }
    [WaitsFor(Feet), Field(QuantityKind.SmallLength, 0.05, 1.5, Label = "Feet apart across it", Optional = true)] public double? FeetAcrossM { get; init; }
    [WaitsFor(Feet), Field(QuantityKind.SmallLength, 0.004, 0.05, Label = "Slot of a foot", Optional = true)] public double? SlotM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.SmallLength, 0, 2, Label = "Free behind it", Optional = true)] public double? BehindM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.Length, 0, 5, Label = "Free in front of its fan", Optional = true)] public double? FrontM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.SmallLength, 0, 2, Label = "Free at its service side", Optional = true)] public double? ServiceM { get; init; }
    [WaitsFor(Place), Field(QuantityKind.Length, 0, 5, Label = "Free above it", Optional = true)] public double? AboveM { get; init; }
    [Ask("Its ports are")] public ExitSide Ports { get; init; } = ExitSide.Right;
    [WaitsFor("Wiring: the entry"), Field(QuantityKind.ConductorArea, 0.5, 100, Label = "Largest wire its terminals take", Optional = true)]
    public double? LargestWireMm2 { get; init; }
    [WaitsFor("Wiring: the entry"), Field(QuantityKind.SmallLength, 0.01, 0.1, Label = "Knock-out, across", Optional = true)]
    public double? KnockOutM { get; init; }
    [WaitsFor("Wiring: the entry"), Field(QuantityKind.SmallLength, 0.005, 0.5, Label = "Room for the fitting inside", Optional = true)]
    public double? FittingRoomM { get; init; }
    [WaitsFor("Wiring: the cable between"), Field(QuantityKind.Count, 2, 8, Label = "Cores between head and outdoor unit", Help = "earth not counted",
        Optional = true)]
    public int? Cores { get; init; }
    [WaitsFor("Layout: sound next door"), Field(QuantityKind.Number, 10, 100, Label = "Sound at its highest, dB(A)", Optional = true)]
    public double? LoudDb { get; init; }
}

/// <summary>Pipes and charge.</summary>
public sealed record CircuitSheet : DesignPart
{
    private const string Kit = "Layout: which line set";
    private const string Charge = "Install: charge and room";

    [WaitsFor(Kit), Field(QuantityKind.SmallLength, 0.003, 0.03, Label = "Liquid pipe, outside", Optional = true)] public double? LiquidM { get; init; }
    [WaitsFor(Kit), Field(QuantityKind.SmallLength, 0.005, 0.05, Label = "Gas pipe, outside", Optional = true)] public double? GasM { get; init; }
    [WaitsFor(Kit), Field(QuantityKind.Length, 0, 30, Label = "Shortest allowed", Optional = true)] public double? LeastM { get; init; }
    [WaitsFor(Kit), Field(QuantityKind.Length, 1, 100, Label = "Longest allowed", Optional = true)] public double? MostM { get; init; }
    [WaitsFor(Kit), Field(QuantityKind.Length, 0, 50, Label = "Greatest difference in height", Optional = true)] public double? LiftM { get; init; }
    [WaitsFor(Charge), Field(QuantityKind.Length, 0, 50, Label = "Charged for so much pipe", Optional = true)] public double? FreeM { get; init; }
    [WaitsFor(Charge), Field(QuantityKind.Number, 0, 200, Label = "More charge beyond it, g/m", Optional = true)] public double? AddedGm { get; init; }
    [WaitsFor(Charge), Ask("Refrigerant")] public RefrigerantKind? Refrigerant { get; init; }
    [Ask("The law here ends its filling on", Date = true, Help = "empty where it does not, or you do not know")] public string EndsOn { get; init; } = "";
    [WaitsFor(Charge), Field(QuantityKind.Mass, 0.05, 20, Label = "Charge in it", Optional = true)] public double? ChargeKg { get; init; }
    [WaitsFor("Commission: pressure proof"), Field(QuantityKind.GaugePressure, 1e5, 1e7, Label = "Proved at most to", Optional = true)]
    public double? ProofPa { get; init; }
    [WaitsFor("Install: which setting of the wrench"), Field(QuantityKind.Torque, 1, 200, Label = "Nut of the liquid pipe", Optional = true)]
    public double? LiquidNm { get; init; }
    [WaitsFor("Install: which setting of the wrench"), Field(QuantityKind.Torque, 1, 200, Label = "Nut of the gas pipe", Optional = true)]
    public double? GasNm { get; init; }
}

/// <summary>The manual typed once, for one pair of head and outdoor unit; every later station reads it, none asks again. An empty line is not known.</summary>
public sealed record UnitSheetDesign : DesignPart
{
    [Ask("Of", Longest = 60)] public string Unit { get; init; } = "";
    public HeadSheet Head { get; init; } = new();
    public OutdoorSheet Outdoor { get; init; } = new();
    public CircuitSheet Circuit { get; init; } = new();
    [Field(QuantityKind.Number, 5, 50, Label = "Seasonal figure on the label", Help = "SEER, in BTU for each watt-hour, where the label gives no watts",
        Optional = true)]
    public double? Seer { get; init; }
    [Ask("The label gives its watts")] public bool WattsKnown { get; init; } = true;
    [Ask("In the box", Most = 60)] public IReadOnlyList<BoxPart> Box { get; init; } = [];
    [Ask("Error codes", Most = 80)] public IReadOnlyList<ErrorCode> Codes { get; init; } = [];
    [WaitsFor("Handover: warranty"), Field(QuantityKind.Count, 0, 20, Label = "Warranty on parts, years",
        Optional = true)]
    public int? PartsYears { get; init; }
    [WaitsFor("Handover: warranty"), Field(QuantityKind.Count, 0, 20, Label = "Warranty on the compressor, years", Optional = true)]
    public int? CompressorYears { get; init; }
    [Ask("It must be finished by")] public Finisher FinishedBy { get; init; } = Finisher.Anyone;
    [WaitsFor("Plan: the quote"), Field(QuantityKind.Number, 0, 100000, Label = "Price", Optional = true)] public double? Price { get; init; }
    [Ask("Pages of the manual", Most = 40)] public IReadOnlyList<ManualPage> Pages { get; init; } = [];
}

/// <summary>A page of the manual, kept with the rig.</summary>
public sealed record ManualPage : DesignPart
{
    [Ask("File", Longest = 300)] public string File { get; init; } = "";
    [Ask("It shows", Longest = 200)] public string Shows { get; init; } = "";
}

/// <summary>A line of the sheet that is empty, and the figure that waits for it.</summary>
public sealed record WaitingLine(string Path, string Label, string Figure);

/// <summary>How far the sheet of the chosen unit is typed.</summary>
/// <param name="Index">Its place among the design's sheets; null where there is none yet.</param>
/// <param name="Filled">Lines that are known.</param>
/// <param name="Of">Lines that there are.</param>
/// <param name="Waiting">Lines that are empty, in the order of the sheet.</param>
/// <param name="Typical">What is taken meanwhile: typical of its class.</param>
public sealed record SheetView(int? Index, int Filled, int Of, IReadOnlyList<WaitingLine> Waiting, UnitSheetDesign Typical);

/// <summary>Reads a unit sheet, fills it from what is typical of the class, and judges it.</summary>
public static class UnitSheets
{
    /// <summary>EER from SEER, both BTU for each watt-hour: −0.02·SEER² + 1.12·SEER, up to its highest (a building research benchmark, from
    /// memory).</summary>
    public static double EerOf(double seer)
    {
        const double bend = -0.02, slope = 1.12;
        var at = Math.Min(seer, slope / (-2 * bend));
        return bend * at * at + slope * at;
    }

    /// <summary>Watts of a unit whose label gives a seasonal figure only.</summary>
    public static double EstimatedW(double capacityW, double seer) => capacityW / QuantityTable.WattsPerBtuPerHour / EerOf(seer);

    /// <summary>The typed sheet of a unit; null where there is none.</summary>
    public static UnitSheetDesign? Typed(UnitDesign design, string unit) => design.Sheets.FirstOrDefault(s => s.Unit == unit);

    /// <summary>The sheet that later stations read: what is typed, and what is typical of the class where a line is empty.</summary>
    public static UnitSheetDesign Known(UnitDesign design, AcUnit unit) => Typed(design, unit.Id) is { } typed ? Filled(typed, Typical(unit)) : Typical(unit);

    /// <summary>How far the sheet of a unit is typed.</summary>
    public static SheetView View(UnitDesign design, AcUnit unit)
    {
        var index = design.Sheets.Select((s, i) => (s, i)).FirstOrDefault(x => x.s.Unit == unit.Id);
        var sheet = index.s ?? new UnitSheetDesign { Unit = unit.Id };
        var lines = Lines(sheet,
            $"/unit/sheets/{(index.s is null ? 0 : index.i)}").Where(l => unit.JoinedOnSite
            || l.Part is not (nameof(UnitSheetDesign.Circuit) or nameof(UnitSheetDesign.Head))).ToList();
        return new SheetView(index.s is null ? null : index.i, lines.Count(l => l.Known), lines.Count,
            [.. lines.Where(l => !l.Known).Select(l => new WaitingLine(l.Path, l.Label, l.Figure))], Typical(unit));
    }

    private sealed record Line(string Part, string Path, string Label, string Figure, bool Known);

    private static IEnumerable<Line> Lines(UnitSheetDesign sheet, string path, string part = "") => Lines((object)sheet, path, part);

    private static IEnumerable<Line> Lines(object record, string path, string part)
    {
        foreach (var property in record.GetType().GetProperties().Where(p => p.CanWrite))
        {
            var at = $"{path}/{JsonNamingPolicy.CamelCase.ConvertName(property.Name)}";
            var value = property.GetValue(record);
            if (property.GetCustomAttribute<WaitsForAttribute>() is { } waits)
                yield return new Line(part, at, property.GetCustomAttribute<FieldAttribute>()?.Label ?? property.GetCustomAttribute<AskAttribute>()!.Label,
                    waits.Figure, value is not null);
            else if (value is DesignPart inner and not (BoxPart or ErrorCode or ManualPage))
                foreach (var line in Lines(inner, at, property.Name))
                    yield return line;
        }
    }

    /// <summary>Empty lines of one record taken from another.</summary>
    private static T Filled<T>(T typed, T typical) where T : DesignPart
    {
        var copy = typed with { };
        foreach (var property in typeof(T).GetProperties().Where(p => p.CanWrite && p.Name != nameof(DesignPart.Unknown)))
        {
            var (own, other) = (property.GetValue(typed), property.GetValue(typical));
            if (own is null)
                property.SetValue(copy, other);
            else if (own is HeadSheet head)
                property.SetValue(copy, Filled(head, (HeadSheet)other!));
            else if (own is OutdoorSheet outdoor)
                property.SetValue(copy, Filled(outdoor, (OutdoorSheet)other!));
            else if (own is CircuitSheet circuit)
                property.SetValue(copy, Filled(circuit, (CircuitSheet)other!));
            else if (own is IList { Count: 0 } && other is IList { Count: > 0 })
                property.SetValue(copy, other);
        }
        return copy;
    }

    /// <summary>What a unit of its kind and size usually has; invented figures of typical size, common practice. A manual wins line by line.</summary>
    public static UnitSheetDesign Typical(AcUnit unit)
    {
        var kilowatts = unit.RatedCapacityW / 1000;
        if (!unit.JoinedOnSite)
            return new UnitSheetDesign
            {
                Unit = unit.Id,
                Head = new HeadSheet { MassKg = 0.12 * unit.MassKg, QuietDb = unit.NoiseInDb ?? 50, LoudDb = 60 },
                Outdoor = new OutdoorSheet
                {
                    WidthM = 0.98,
                    DepthM = 0.70,
                    HeightM = 0.30,
                    MassKg = unit.MassKg,
                    LargestWireMm2 = unit.IsDc ? 35 : 5.3,
                    LoudDb = unit.NoiseOutDb ?? 68,
                },
            };
        var large = unit.RatedCapacityW > 4500;
        return new UnitSheetDesign
        {
            Unit = unit.Id,
            Head = new HeadSheet
            {
                WidthM = large ? 0.96 : 0.80,
                HeightM = large ? 0.32 : 0.29,
                DepthM = large ? 0.23 : 0.20,
                MassKg = large ? 12 : 9,
                AboveM = 0.15,
                BesideM = 0.12,
                FrontM = 1.5,
                HoleRightM = 0.10,
                HoleUpM = 0.04,
                HoleM = large ? 0.070 : 0.065,
                ScrewRows = 2,
                ScrewPitchM = 0.04,
                DrainHoseM = 0.5,
                DrainM = 0.018,
                QuietDb = unit.NoiseInDb ?? 24,
                LoudDb = large ? 45 : 40,
            },
            Outdoor = new OutdoorSheet
            {
                WidthM = large ? 0.86 : 0.76,
                HeightM = large ? 0.69 : 0.55,
                DepthM = large ? 0.33 : 0.29,
                MassKg = unit.MassKg - (large ? 12 : 9),
                FeetAlongM = large ? 0.54 : 0.51,
                FeetAcrossM = large ? 0.35 : 0.31,
                SlotM = 0.011,
                BehindM = 0.10,
                FrontM = 0.6,
                ServiceM = 0.30,
                AboveM = 0.5,
                LargestWireMm2 = 5.3,
                KnockOutM = 0.0222,
                FittingRoomM = 0.03,
                Cores = 3,
                LoudDb = unit.NoiseOutDb ?? (large ? 56 : 52),
            },
            Circuit = new CircuitSheet
            {
                LiquidM = 0.00635,
                GasM = kilowatts > 6 ? 0.0159 : large ? 0.0127 : 0.0095,
                LeastM = 3,
                MostM = large ? 25 : 15,
                LiftM = large ? 15 : 10,
                FreeM = 5,
                AddedGm = large ? 20 : 12,
                Refrigerant = RefrigerantKind.R32,
                ChargeKg = Math.Round(0.19 * kilowatts, 2),
                ProofPa = 4.15e6,
                LiquidNm = 17,
                GasNm = kilowatts > 6 ? 70 : large ? 55 : 42,
            },
            PartsYears = 2,
            CompressorYears = 5,
        };
    }

    /// <summary>What there is to say of the sheet.</summary>
    /// <param name="design">The unit's design.</param>
    /// <param name="unit">The chosen unit.</param>
    public static IEnumerable<Finding> Judge(UnitDesign design, AcUnit unit)
    {
        if (Typed(design, unit.Id) is not { } sheet)
            yield break;
        string[] listed = sheet.Outdoor.Heads.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        if (sheet.Head.Model.Trim() is { Length: > 0 } head && listed.Length > 0 && !listed.Contains(head, StringComparer.OrdinalIgnoreCase))
            yield return Finding.Of(FindingCode.UnitPairMismatch, Severity.Stop,
                $"Head {head} is not among the heads that outdoor unit {sheet.Outdoor.Model} names "
                    + $"({string.Join(", ", listed)}): they do not belong together.");
        if (!sheet.WattsKnown && sheet.Seer is { } seer)
        {
            var watts = EstimatedW(unit.RatedCapacityW, seer);
            var own = design.Own.FirstOrDefault(o => o.Id == unit.Id);
            yield return Finding.Of(FindingCode.UnitSeerEstimate, Severity.Note,
                Phrase.Of($"The label has a seasonal figure only: {watts:ElectricPower} are estimated from it, {unit.RatedPowerW:ElectricPower} are taken."),
                own is null || Math.Abs(watts / unit.RatedPowerW - 1) < 0.01 ? [] : [new Remedy(Phrase.Of($"take the estimate"),
                    Phrase.Of($"{watts:ElectricPower}"),
                    DesignEdit.Of(design, d => d with { Own = [.. d.Own.Select(o => o.Id == unit.Id ? o with { RatedPowerW = Math.Round(watts) } : o)] }))]);
        }
        if (sheet.Circuit.EndsOn.Length > 0)
            yield return Finding.Of(FindingCode.UnitRefrigerantEnds, Severity.Note,
                Phrase.Of($"As typed, the law here ends the filling of this refrigerant on {sheet.Circuit.EndsOn}: from then on a leak may end the unit."));
        var view = View(design, unit);
        if (view.Waiting.Count > 0)
            yield return Finding.Of(FindingCode.UnitSheetMissing, Severity.Note,
                $"{view.Waiting.Count} of {view.Of} lines of the unit sheet are empty; what is typical of its class is taken for "
                    + $"{string.Join("; ", view.Waiting.Select(w => w.Figure).Distinct().Take(3))}.");
    }
}
