using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Energy;

/// <summary>Inputs of <see cref="ArrayCalculators.String"/> and <see cref="ArrayCalculators.Strings"/>.</summary>
public sealed record StringInput : DesignPart
{
    [Field(ElectricPower, 5, 800, Label = "One module")] public double RatedW { get; init; } = 410;
    [Field(Voltage, 5, 100, Label = "Open-circuit voltage")] public double VocV { get; init; } = 37.3;
    [Field(Voltage, 5, 90, Label = "Voltage at most power")] public double VmpV { get; init; } = 31.3;
    [Field(Current, 0.5, 30, Label = "Short-circuit current")] public double IscA { get; init; } = 13.9;
    [Field(Current, 0.5, 30, Label = "Current at most power")] public double ImpA { get; init; } = 13.1;
    [Field(QuantityKind.Number, -0.006, -0.001, Label = "Open-circuit voltage, share a kelvin")] public double VocPerK { get; init; } = -0.0027;
    [Field(QuantityKind.Number, -0.006, -0.002, Label = "Power, share a kelvin", Help = "taken for the voltage too, on the safe side")]
    public double PowerPerK { get; init; } = -0.0034;
    [Field(Current, 5, 60, Label = "Largest series fuse")] public double SeriesFuseA { get; init; } = 20;
    [Field(Voltage, 20, 1500, Label = "Input bears at most")] public double MaxV { get; init; } = 150;
    [Field(Voltage, 5, 1000, Label = "Input starts at")] public double MinV { get; init; } = 63;
    [Field(Voltage, 10, 1400, Label = "Input follows up to")] public double TrackMaxV { get; init; } = 145;
    [Field(Current, 1, 500, Label = "Input's short-circuit current, at most")] public double MaxIscA { get; init; } = 60;
    [Field(Current, 1, 500, Label = "Input's working current, at most")] public double MaxCurrentA { get; init; } = 50;
    [Field(Temperature, -40, 30, Label = "Record low of the air")] public double LowestC { get; init; } = -10;
    [Field(Temperature, 25, 100, Label = "Hottest cells")] public double HotCellC { get; init; } = 70;
    [Field(Count, 1, 40, Label = "In one string")] public int Series { get; init; } = 3;
    [Field(Count, 1, 20, Label = "Strings")] public int Parallel { get; init; } = 2;
    [Field(Count, 1, 60, Label = "Modules to share out")] public int Modules { get; init; } = 6;
    [Ask("Each string has its fuse")] public bool StringsFused { get; init; }
}

/// <summary>Inputs of <see cref="ArrayCalculators.Roof"/>.</summary>
public sealed record RoofInput : DesignPart
{
    [Field(SmallLength, 0.3, 50, Label = "Roof length")] public double LengthM { get; init; } = 3.6;
    [Field(SmallLength, 0.3, 50, Label = "Roof width")] public double WidthM { get; init; } = 1.7;
    [Field(SmallLength, 0, 1, Label = "Keep free along the edges")] public double MarginM { get; init; } = 0.05;
    [Field(SmallLength, 0.2, 2.6, Label = "Module length")] public double ModuleLengthM { get; init; } = 1.49;
    [Field(SmallLength, 0.2, 1.5, Label = "Module width")] public double ModuleWidthM { get; init; } = 0.67;
    [Field(SmallLength, 0, 0.5, Label = "Between modules")] public double GapM { get; init; } = 0.02;
    [Field(SmallLength, 0, 40, Label = "A hatch from the front")] public double HatchFromFrontM { get; init; } = 1.45;
    [Field(SmallLength, 0, 10, Label = "from the left")] public double HatchFromLeftM { get; init; } = 0.48;
    [Field(SmallLength, 0, 5, Label = "its side", Help = "0 leaves it out")] public double HatchSideM { get; init; } = 0.7;
    [Field(SmallLength, 0, 1, Label = "Kept free round it")] public double ClearanceM { get; init; } = 0.05;
    [Field(SmallLength, 0, 3, Label = "it stands up by")] public double HatchHeightM { get; init; }
    [Field(Degrees, 0, 80, Label = "No shadow from a sun as high as", Help = "0 leaves shadows out")] public double ShadowElevationDeg { get; init; }
}

/// <summary>Inputs of <see cref="ArrayCalculators.Plane"/>.</summary>
public sealed record PlaneInput : DesignPart
{
    [Field(QuantityKind.Irradiance, 0, 1200, Label = "Direct normal")] public double DirectWm2 { get; init; } = 800;
    [Field(QuantityKind.Irradiance, 0, 800, Label = "Diffuse, level")] public double DiffuseWm2 { get; init; } = 100;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Global, level")] public double GlobalWm2 { get; init; } = 700;
    [Field(QuantityKind.Number, 0, 1, Label = "Cosine of incidence")] public double CosIncidence { get; init; } = 0.95;
    [Field(Degrees, 0, 90, Label = "Tilt")] public double TiltDeg { get; init; } = 20;
    [Field(Length, 0.2, 10, Label = "Module along the slope")] public double LengthM { get; init; } = 1.134;
    [Field(Degrees, 1, 89, Label = "No shadow from a sun above")] public double SunElevationDeg { get; init; } = 30;
}

/// <summary>Inputs of <see cref="ArrayCalculators.Shade"/>.</summary>
public sealed record StringShadeInput : DesignPart
{
    [Field(Count, 1, 40, Label = "Modules in the string")] public int Modules { get; init; } = 7;
    [Field(Count, 0, 120, Label = "Diode groups in shade", Help = "three a module")] public int ShadedGroups { get; init; } = 1;
    [Field(Voltage, 5, 90, Label = "Working voltage of one")] public double ModuleV { get; init; } = 31.3;
    [Field(Voltage, 5, 1000, Label = "Input works from")] public double MinV { get; init; } = 90;
}

/// <summary>Inputs of <see cref="ArrayCalculators.PlainController"/>.</summary>
public sealed record PlainControllerInput : DesignPart
{
    [Field(Count, 1, 20, Label = "Strings")] public int Parallel { get; init; } = 1;
    [Field(Current, 0.5, 30, Label = "Current at most power")] public double ImpA { get; init; } = 9.8;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Sun on the modules")] public double IrradianceWm2 { get; init; } = 950;
    [Field(Voltage, 10, 60, Label = "Battery")] public double BatteryV { get; init; } = 13.2;
    [Field(Voltage, 5, 200, Label = "Hot working voltage")] public double HotV { get; init; } = 17;
    [Field(ElectricPower, 1, 20000, Label = "With a tracking controller it would be")] public double TrackedW { get; init; } = 159.5;
}

/// <summary>Modules, strings and roofs, for the Bench and the API.</summary>
public static class ArrayCalculators
{
    /// <summary>One string design.</summary>
    [Calculator("string-check", "Modules in strings", "Too high in the cold, too low in the heat, too much current",
        CitationIds = [nameof(Citations.ColdTable), nameof(Citations.PvCurrents)])]
    public static CalculationResult String(StringInput i)
    {
        var r = PvStrings.Check(Module(i), Input(i), i.Series, i.Parallel, i.LowestC, i.HotCellC, i.StringsFused);
        var result = new ResultBuilder()
            .Step("V_oc,cold", "Open in the cold", "n·V_oc·(1 + β(T_min − 25))", $"{i.Series} × {i.VocV} × (1 + {i.VocPerK}·({i.LowestC} − 25))",
                r.VocColdV,
                Voltage, Citations.ColdTable)
            .Step("V_oc,table", "Open by the code's table", "n·V_oc·F", $"F {PvStrings.ColdFactor(i.LowestC)}", r.VocTableV, Voltage, Citations.ColdTable)
            .Step("V_mp,hot", "Working when hot", "n·V_mp·(1 + γ(T_c − 25))", $"cells {i.HotCellC} °C", r.VmpHotV, Voltage, Citations.Modules)
            .Step("I_sc", "Short circuit", "n_p·I_sc", $"{i.Parallel} × {i.IscA}", r.IscA, Current, Citations.Arithmetic)
            .Step("I_c", "Conductors for", "1.25·1.25·n_p·I_sc", $"1.5625 × {r.IscA}", r.ConductorA, Current, Citations.PvCurrents);
        foreach (var finding in r.Findings)
            result.Judge(finding);
        return result.Done();
    }

    /// <summary>Every allowed one.</summary>
    [Calculator("enumerate-strings", "All allowed strings", "Which ways of stringing these modules are allowed",
        CitationIds = [nameof(Citations.ColdTable), nameof(Citations.PvCurrents)])]
    public static CalculationResult Strings(StringInput i)
    {
        var all = PvStrings.Enumerate(Module(i), Input(i), i.Modules, i.LowestC, i.HotCellC, i.StringsFused);
        var result = new ResultBuilder().Step("n", "Allowed ways", "all n_s·n_p ≤ N without a stop", $"N {i.Modules}", all.Count, Count,
            Citations.ColdTable);
        foreach (var (r, k) in all.Take(8).Select((r, k) => (r, k)))
            result.Words($"{k + 1}", $"{r.Series} in a string, {r.Parallel} strings",
                FormattableString.Invariant($"{r.VocColdV:0.#} V cold, {r.VmpHotV:0.#} V hot, {r.Modules} modules"));
        return result.Done();
    }

    /// <summary>Modules on a roof.</summary>
    [Calculator("pack-roof", "Modules on a roof", "How many go on this roof", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Roof(RoofInput i)
    {
        static int Mm(double metres) => (int)Math.Round(metres * 1000);
        List<RoofObstacle> hatch = i.HatchSideM
            > 0 ? [new(new(Mm(i.HatchFromFrontM), Mm(i.HatchFromLeftM), Mm(i.HatchSideM), Mm(i.HatchSideM)), Mm(i.ClearanceM), Mm(i.HatchHeightM))] : [];
        var plan = RoofPacking.Pack(
            new Roof(Mm(i.LengthM), Mm(i.WidthM), Mm(i.MarginM), Mm(i.ModuleLengthM), Mm(i.ModuleWidthM), Mm(i.GapM), hatch, i.ShadowElevationDeg));
        return new ResultBuilder()
            .Step("N", "Modules", "most in straight rows, back from the far edge by 1 mm", $"{i.LengthM} × {i.WidthM} m", plan.Count, Count,
                Citations.Geometry)
            .Words("rows", "Laid in", plan.InRows ? "rows along the roof" : "columns across the roof")
            .Judge(Finding.Of(FindingCode.RoofHandLayout, Severity.Note, $"A mixed layout by hand may gain one.")).Done();
    }

    /// <summary>Tilted modules.</summary>
    [Calculator("plane-of-array", "Sun on tilted modules", "What tilt gives, and how far rows must stand apart",
        CitationIds = [nameof(Citations.Transposition), nameof(Citations.Geometry)])]
    public static CalculationResult Plane(PlaneInput i) => new ResultBuilder()
        .Step("G", "On the modules", "DNI·cos θ + DHI·(1 + cos β)/2 + GHI·ρ·(1 − cos β)/2", $"β {i.TiltDeg}°, ρ 0.2",
            ArrayPlane.Irradiance(i.DirectWm2, i.DiffuseWm2, i.GlobalWm2, i.CosIncidence, i.TiltDeg), QuantityKind.Irradiance, Citations.Transposition)
        .Step("d", "Row to row", "L·(cos β + sin β/tan ε)", $"{i.LengthM} m, ε {i.SunElevationDeg}°",
            ArrayPlane.RowPitch(i.LengthM, i.TiltDeg, i.SunElevationDeg), Length, Citations.Geometry).Done();

    /// <summary>A string in part shade.</summary>
    [Calculator("string-shade", "A string in part shade", "What a shadow costs", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Shade(StringShadeInput i)
    {
        if (i.ShadedGroups > 3 * i.Modules)
            throw new InputException("shadedGroups", $"{i.ShadedGroups}",
                FormattableString.Invariant($"shadedGroups must be 0 to {3 * i.Modules}; got {i.ShadedGroups}"));
        var factor = ArrayPlane.ShadeFactor(i.Modules, i.ShadedGroups, i.ModuleV, i.MinV);
        return new ResultBuilder()
            .Step("f", "Share left", "1 − shaded/all groups while above the lowest voltage", $"1 − {i.ShadedGroups}/{3 * i.Modules}", factor, Fraction,
                Citations.Trade)
            .Judge(factor == 0
                ? Finding.Of(FindingCode.PvShadeStop, Severity.Caution, $"What is left falls below the voltage that the input needs: the string stops.")
                : null).Done();
    }

    [Calculator("pwm-power", "Plain controller", "What a controller without tracking gives away", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult PlainController(PlainControllerInput i)
    {
        var power = ArrayPlane.PlainControllerW(i.Parallel, i.ImpA, i.IrradianceWm2, i.BatteryV, i.HotV);
        return new ResultBuilder().Step("P", "Into the battery", "n_p·I_mp·G/1000·V_batt",
            $"{i.Parallel} × {i.ImpA} A × {i.IrradianceWm2}/1000 × {i.BatteryV} V", power, ElectricPower, Citations.Trade)
            .Judge(power < 0.85 * i.TrackedW
                ? Finding.Of(FindingCode.PvPwmLoss, Severity.Caution, $"A tracking controller would give {i.TrackedW:ElectricPower}.")
                : null).Done();
    }

    private static PvModule Module(StringInput i) => new(i.RatedW, i.VocV, i.VmpV, i.IscA, i.ImpA, i.VocPerK, i.PowerPerK, i.SeriesFuseA);

    private static PvInput Input(StringInput i) => new(i.MaxV, i.MinV, i.TrackMaxV, i.MaxIscA, i.MaxCurrentA);
}
