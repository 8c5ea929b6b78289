using Vanto.Core.Findings;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>What would buy most: each measure solved on its own and several together. Weights and costs are rough, common practice.</summary>
internal static class LoadMeasures
{
    private const int NightFrom = 21;
    private const int NightTo = 7;

    /// <summary>Hours of a night.</summary>
    internal const int NightLength = 24 - NightFrom + NightTo;
    private const double WarmerK = 2;

    private sealed record Candidate(string Id, Phrase Words, SurveyDesign Survey, double SetpointC, double MassKg, double Cost, DesignEdit Edit);

    /// <summary>All measures that help, the largest first, and those tried at once.</summary>
    public static (IReadOnlyList<LoadMeasure> Measures, MeasuresTogether? Together) Find(SurveyDesign survey, LoadDesign design, SpaceDescription space,
        HeldAirLoad held, IReadOnlyList<HeadingLoad> rose)
    {
        var start = held.Solve(space);
        var tried = design.Trying.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).ToHashSet();
        var candidates = Candidates(survey, design, space, rose).ToList();
        var found = new LoadMeasure[candidates.Count];
        Parallel.For(0, found.Length, i =>
        {
            var c = candidates[i];
            var load = held.Solve(SurveyedSpace.Build(c.Survey, c.SetpointC, design.HumidityPct));
            found[i] = new LoadMeasure
            {
                Id = c.Id,
                Words = c.Words,
                PeakChangeW = load.PeakW - start.PeakW,
                DayChangeWh = load.DayWh - start.DayWh,
                NightHours = NightHours(start, load),
                MassKg = c.MassKg,
                Cost = c.Cost,
                Tried = tried.Contains(c.Id),
                Edit = c.Edit,
            };
        });
        var measures = found.Where(m => m.PeakChangeW < -1).OrderBy(m => m.PeakChangeW).ToList();
        var together = candidates.Where(c => measures.Any(m => m.Id == c.Id && m.Tried)).ToList();
        return (measures, together.Count < 2 ? null : Together(survey, design, start, held, together, measures));
    }

    private static MeasuresTogether Together(SurveyDesign survey, LoadDesign design, LoadCurve start, HeldAirLoad held, List<Candidate> together,
        List<LoadMeasure> measures)
    {
        var edit = together.Aggregate(DesignEdit.None, (all, c) => all.And(c.Edit));
        var load = held.Solve(SurveyedSpace.Build(edit.Apply(survey), together.Max(c => c.SetpointC), design.HumidityPct));
        return new MeasuresTogether([.. together.Select(c => c.Id)], load.PeakW - start.PeakW, load.DayWh - start.DayWh, NightHours(start, load),
            measures.Where(m => m.Tried).Sum(m => m.PeakChangeW), together.Sum(c => c.MassKg), together.Sum(c => c.Cost), edit);
    }

    private static double NightHours(LoadCurve before, LoadCurve after)
    {
        static double Night(LoadCurve curve) =>
            Enumerable.Range(0, 24).Where(h => h >= NightFrom || h < NightTo).Sum(h => Math.Max(0, curve.SensibleW[h] + curve.LatentW[h]));
        var left = Night(after);
        return left <= 0 ? NightLength : Math.Min(NightLength, (Night(before) - left) / (left / NightLength));
    }

    private static IEnumerable<Candidate> Candidates(SurveyDesign survey, LoadDesign design, SpaceDescription space, IReadOnlyList<HeadingLoad> rose)
    {
        var set = design.SetpointC;
        double Area(FaceKind kind) => space.Faces.Where(f => f.Kind == kind).Sum(f => f.AreaM2);
        var (roof, walls, glass) = (Area(FaceKind.Roof), Area(FaceKind.Wall), space.Windows.Sum(w => w.AreaM2));
        Candidate Of(string id, PhraseHandler words, Func<SurveyDesign, SurveyDesign> apply, double mass, double cost) =>
            new(id, Phrase.Of(words), apply(survey), set, mass, cost, DesignEdit.Of(survey, apply));

        if (!survey.Windows.All(SurveyEdits.IsCovered))
            yield return Of("covers", $"tight quilted covers in every window", s => s.Covered(), 1.2 * glass, 60 * glass);
        if (RigBox.Absorptance(survey.Roof.Paint, "survey.roof") > 0.2)
            yield return Of("roof-coat", $"a white coat on the roof", s => s with { Roof = s.Roof with { Paint = "roof-coat" } }, 1.0 * roof, 12 * roof);
        if (RigBox.Absorptance(survey.Walls.Paint, "survey.walls") > 0.3)
            yield return Of("white-walls", $"white walls", s => s with { Walls = s.Walls with { Paint = "white" } }, 0.3 * walls, 20 * walls);
        if (survey.Roof.Layers.Count == 0 && survey.Walls.Layers.Count == 0 && survey.Roof.InsulationM > 0
            && 2 * Math.Max(survey.Roof.InsulationM, survey.Walls.InsulationM) <= SkinDesign.ThickestInsulationM)
            yield return Of("insulation", $"twice the insulation in walls and roof",
                s => s with { Roof = s.Roof with { InsulationM = 2 * s.Roof.InsulationM }, Walls = s.Walls with { InsulationM = 2 * s.Walls.InsulationM } },
                35 * (survey.Roof.InsulationM * roof + survey.Walls.InsulationM * walls), 18 * (roof + walls));
        if (!survey.Roof.ThermalBreak || !survey.Walls.ThermalBreak)
            yield return Of("break", $"foam over the ribs", s => s with { Roof = Foamed(s.Roof), Walls = Foamed(s.Walls) }, 0.4 * (roof + walls),
                8 * (roof + walls));
        if (survey.Space.AirChangesPerHour > 0.5)
            yield return Of("tight", $"vents and gaps shut (0.5 air changes an hour)", s => s with { Space = s.Space with { AirChangesPerHour = 0.5 } }, 0.5,
                20);
        if (survey.OverheadCover > 0.5)
            yield return Of("shade", $"shade cloth over the roof", s => s with { OverheadCover = 0.2 }, 0.4 * roof, 9 * roof);
        if (survey.Shades.All(s => s.Kind != ShadeKind.Awning) && survey.Kind is not RigKind.Boat)
        {
            var awning = new ShadeDesign { Kind = ShadeKind.Awning, Side = SunniestSide(space), WidthM = Math.Min(3.5, survey.Space.LengthM) };
            yield return Of("awning", $"an awning on the {awning.Side.ToString().ToLowerInvariant()} side", s => s with { Shades = [.. s.Shades, awning] }, 22,
                450);
        }
        if (set + WarmerK <= LoadDesign.WarmestC)
            yield return new Candidate("warmer", Phrase.Of($"{WarmerK:TemperatureDifference} warmer inside"), survey, set + WarmerK, 0, 0,
                DesignEdit.Of(design, d => d with { SetpointC = d.SetpointC + WarmerK }));
        if (survey.Kind is not (RigKind.Cabin or RigKind.Workshop))
        {
            var best = rose.MinBy(r => r.PeakW)!;
            yield return Of("heading", $"the nose turned to {best.HeadingDeg:Angle}", s => s with { HeadingDeg = best.HeadingDeg }, 0, 0);
        }
    }

    /// <summary>Foam over the ribs makes measured ones another build: the typical ones with a break stand in their place.</summary>
    private static SkinDesign Foamed(SkinDesign skin) => skin with { ThermalBreak = true, Ribs = skin.Ribs with { Measured = false } };

    /// <summary>The long side that looks more to the afternoon sun.</summary>
    private static Side SunniestSide(SpaceDescription space)
    {
        static double FromWest(double azimuth) => Math.Abs((azimuth - 250 + 540) % 360 - 180);
        return FromWest((space.HeadingDeg + 90) % 360) <= FromWest((space.HeadingDeg + 270) % 360) ? Side.Right : Side.Left;
    }
}
