using Vanto.Core.Findings;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>Strings and roof of a rig for the screen.</summary>
public sealed record ArrayView
{
    /// <summary>The string design typed; null without modules or where the controller is not known.</summary>
    public required PvStringResult? Chosen { get; init; }

    /// <summary>Every allowed one, the fullest first.</summary>
    public required IReadOnlyList<PvStringResult> Allowed { get; init; }

    /// <summary>Record low taken.</summary>
    public required double LowestC { get; init; }

    /// <summary>Hottest cells taken.</summary>
    public required double HotCellC { get; init; }

    /// <summary>The modules as they fit.</summary>
    public required RoofPlan Roof { get; init; }

    /// <summary>Roof drawn.</summary>
    public required int RoofLengthMm { get; init; }

    public required int RoofWidthMm { get; init; }

    /// <summary>What stands on it.</summary>
    public required IReadOnlyList<RoofRectangle> Obstacles { get; init; }

    /// <summary>The unit among it, where it stands on the roof.</summary>
    public required RoofRectangle? Unit { get; init; }
}

/// <summary>Modules, strings and roof of a rig, and a bank in cold nights.</summary>
internal static class ArrayFindings
{
    private const double DwellingArcV = 80;
    private const double HottestSun = 1000;

    public static ArrayView Of(SurveyDesign survey, AcUnit unit)
    {
        var sources = survey.Sources;
        var modules = sources.Modules;
        var module =
            new PvModule(modules.RatedW, modules.VocV, modules.VmpV, modules.IscA, modules.ImpA, modules.VocPerK, SeriesFuseA: modules.SeriesFuseA);
        var input = new PvInput(sources.Controller.MaxV, sources.Controller.MinV, sources.Controller.TrackMaxV, sources.Controller.MaxIscA,
            sources.Controller.MaxCurrentA);
        var lowest = Math.Max(-40, survey.Climate.WinterC);
        var hot = survey.Place.DryBulbC + modules.CellRise(survey.Place.WindMs) * HottestSun;
        var known = sources.Controller.Known && modules.Count > 0;
        var chosen = known && modules.Count % modules.Series == 0 ? PvStrings.Check(module, input, modules.Series, modules.Count / modules.Series, lowest, hot,
            modules.StringsFused) : null;
        var allowed = known ? PvStrings.Enumerate(module, input, modules.Count, lowest, hot, modules.StringsFused) : [];
        var (roof, obstacles, standing) = Roof(survey, unit.Kind is AcKind.RooftopSingleSpeed or AcKind.DcNativeRooftop);
        return new ArrayView
        {
            Chosen = chosen,
            Allowed = allowed,
            LowestC = lowest,
            HotCellC = hot,
            Roof = RoofPacking.Pack(roof),
            RoofLengthMm = roof.LengthMm,
            RoofWidthMm = roof.WidthMm,
            Obstacles = obstacles,
            Unit = standing,
        };
    }

    /// <summary>What is wrong with it.</summary>
    public static IEnumerable<Finding> Judge(SurveyDesign survey, ArrayView view)
    {
        var sources = survey.Sources;
        var modules = sources.Modules;
        if (sources.Controller.Known && modules.Count > 0 && modules.Count % modules.Series != 0)
            yield return Finding.Of(FindingCode.PvUneven, Severity.Stop, Phrase.Of($"{modules.Count} modules do not make whole strings of {modules.Series}."),
                Ways(survey, view));
        foreach (var finding in view.Chosen?.Findings ?? [])
            yield return finding.Level == Severity.Stop ? finding with { Remedies = Ways(survey, view) } : finding;
        if (view.Chosen is { VocColdV: > DwellingArcV })
            yield return Finding.Of(FindingCode.PvArc, Severity.Caution,
                $"The array stands at {view.Chosen.VocColdV:Voltage}: it arcs when unplugged in the sun. Arc-fault protection and a disconnect within reach.");
        if (modules.Count > view.Roof.Count && modules.Count > 0)
            yield return Finding.Of(FindingCode.RoofFull, Severity.Caution,
                Phrase.Of($"{modules.Count} modules are planned; in straight rows the roof holds {view.Roof.Count}. A layout by hand may gain one."),
                [new Remedy(Phrase.Of($"{view.Roof.Count} modules"), Phrase.Of($"as the roof holds"),
                    DesignEdit.Of(survey, s => s.WithModules(m => m with { Count = view.Roof.Count })))]);
        var battery = sources.Battery;
        if (battery is { Fitted: true, TemperatureC: > 0 } && battery.Chemistry.IsLithium() && survey.Climate.WinterC <= 0)
            yield return Finding.Of(FindingCode.BatteryColdNights, Severity.Note,
                $"Nights fall to {survey.Climate.WinterC:Temperature} here: below {0.0:Temperature} the bank may not "
                + $"be charged. It needs heating or a board that refuses.");
        if (battery is { Fitted: true, Chemistry: Chemistry.Flooded })
            yield return Finding.Of(FindingCode.BatteryHydrogen, Severity.Stop,
                $"A flooded bank gives off hydrogen: a closed box with a vent outdoors, never open in the living space.");
        if (sources.Generator.Fitted
            && Generators.JudgeDerate(Generators.DerateFactor(survey.Place.ElevationM, survey.Place.DryBulbC), sources.Generator.RatedW) is { } derated)
            yield return derated;
    }

    private static List<Remedy> Ways(SurveyDesign survey, ArrayView view) =>
        [.. view.Allowed.Take(2).Select(a => new Remedy(Phrase.Of($"{a.Series} in a string, {a.Parallel} strings"),
            Phrase.Of($"{a.VocColdV:Voltage} in the cold"), Strings(survey, a.Series, a.Parallel)))];

    /// <summary>The array strung so.</summary>
    internal static DesignEdit Strings(SurveyDesign survey, int series, int parallel) =>
        DesignEdit.Of(survey, s => s.WithModules(m => m with { Series = series, Count = series * parallel }));

    private static (Roof Roof, List<RoofRectangle> Obstacles, RoofRectangle? Unit) Roof(SurveyDesign survey, bool unitOnRoof)
    {
        var on = survey.Sources.OnRoof;
        var modules = survey.Sources.Modules;
        static int Down(double metres) => (int)Math.Floor(metres * 1000 + 1e-6);
        static int Up(double metres) => (int)Math.Ceiling(metres * 1000 - 1e-6);
        var length = Math.Max(300, Down(on.LengthM ?? survey.Space.LengthM + survey.Further.Sum(f => f.Space.LengthM)));
        var width = Math.Max(300, Down(on.WidthM ?? survey.Space.WidthM));
        List<RoofRectangle> stand = [.. on.Obstacles.Select(o => new RoofRectangle(Down(o.FromFrontM), Down(o.FromLeftM), Up(o.LengthM), Up(o.WidthM)))];
        List<RoofObstacle> obstacles = [.. stand.Select((r, i) => new RoofObstacle(r, Up(on.ClearanceM), Up(on.Obstacles[i].HeightM)))];
        RoofRectangle? unit = unitOnRoof
            ? new RoofRectangle(Down(on.UnitFromFrontM ?? Math.Max(0, length / 2000.0 - on.UnitLengthM / 2)),
                Down(on.UnitFromLeftM ?? Math.Max(0, width / 2000.0 - on.UnitWidthM / 2)), Up(on.UnitLengthM), Up(on.UnitWidthM))
            : null;
        if (unit is { } body)
            obstacles.Add(new RoofObstacle(body, Up(on.ClearanceM), Up(on.UnitHeightM)));
        var (longer, shorter) = (Math.Max(modules.LengthM, modules.WidthM), Math.Min(modules.LengthM, modules.WidthM));
        return (new Roof(length, width, Up(on.MarginM), Up(longer), Up(shorter), Up(on.GapM), obstacles, on.ShadowElevationDeg), stand, unit);
    }
}
