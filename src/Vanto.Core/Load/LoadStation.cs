using System.Text.Json.Nodes;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>What the space is to be held at while the load is found.</summary>
public sealed record LoadDesign : DesignPart
{
    [Field(QuantityKind.Temperature, 16, 35, Label = "Hold inside at")] public double SetpointC { get; init; } = 25;
    [Field(QuantityKind.Percent, 20, 80, Label = "Humidity inside")] public double HumidityPct { get; init; } = 50;
}

/// <summary>Watts of one cause over the 24 hours.</summary>
public sealed record CauseSeries(Cause Cause, string Label, bool Damp, double[] Watts);

/// <summary>Peak load at a heading.</summary>
public sealed record HeadingLoad(double HeadingDeg, double PeakW);

/// <summary>A change that could be bought, with what it takes off; it can be taken at once.</summary>
public sealed record LoadMeasure(string Id, string Words, double PeakChangeW, double DayChangeWh, IReadOnlyList<DesignChange> Changes);

/// <summary>Result of the Load station. Hour arrays: index 0 is 00 to 01.</summary>
public sealed record LoadAssessment(
    Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures, IReadOnlyList<CauseSeries> Causes, double[] TotalW, double[] OutdoorC,
    double PeakW, double PeakSensibleW, double PeakLatentW, int PeakHour, IReadOnlyList<HeadingLoad> Rose, IReadOnlyList<LoadMeasure> Measures)
{
    /// <summary>The solved load, for the stations after.</summary>
    internal LoadDay Day { get; init; } = null!;

    /// <summary>The day it was solved on, for runs in time.</summary>
    internal RigDay RigDay { get; init; } = null!;

    /// <summary>The space as described.</summary>
    internal SpaceDescription Space => RigDay.Space;
}

/// <summary>The Load station.</summary>
public static class LoadStation
{
    private const int SweepStepS = 900;

    private static readonly Dictionary<Cause, string> Labels = new()
    {
        [Cause.Roof] = "roof",
        [Cause.Walls] = "walls",
        [Cause.Floor] = "floor",
        [Cause.GlassConduction] = "glass, warmth",
        [Cause.GlassSun] = "sun through glass",
        [Cause.Air] = "outside air",
        [Cause.People] = "people",
        [Cause.Appliances] = "devices",
        [Cause.DampAir] = "damp air",
        [Cause.DampPeople] = "breath and sweat",
        [Cause.DampAppliances] = "steam",
    };

    /// <summary>The design day of the surveyed rig, sixteen headings and what would buy most.</summary>
    public static LoadAssessment Assess(SurveyDesign survey, LoadDesign design)
    {
        var (rigDay, day) = RigDay.Of(survey, design);
        var space = rigDay.Space;
        var held = new HeldLoad(DesignDay.Steps(space.Weather, SweepStepS));
        var rose = Rose(space, held);
        var measures = Measures(survey, design, space, held, rose);
        var findings = Findings(survey, space, day, rose, measures).ToList();
        var peak = day.PeakHour;
        var totals = Enumerable.Range(0, 24).Select(day.Total).ToArray();
        return new LoadAssessment(
            Say(day, findings), findings, Figures(space, day), [.. Enum.GetValues<Cause>().Select(c => new CauseSeries(c, Labels[c], c >= Cause.DampAir, day.ByCause[(int)c]))],
            totals, [.. Enumerable.Range(0, 24).Select(h => DesignDay.AirC(space.Weather, h + 0.5))],
            day.PeakW, day.SensibleW[peak], day.LatentW[peak], peak, rose, measures)
        {
            Day = day,
            RigDay = rigDay,
        };
    }

    private static Verdict Say(LoadDay day, List<Finding> findings)
    {
        if (day.PeakW <= 0)
            return new Verdict(StationState.Caution, Phrase.Of($"No cooling is needed on this day."), Phrase.Of($"The space stays below its set-point by itself."));
        var largest = Largest(day);
        return new Verdict(
            Verdict.Worst(findings),
            Phrase.Of($"{day.PeakW:Power} must go out at {day.PeakHour + 0.5:HourOfDay}; {Labels[largest]} is the largest part."),
            Phrase.Of($"{day.ByCause[(int)largest][day.PeakHour]:Power} of {day.PeakW:Power} come from it; {day.LatentW[day.PeakHour]:Power} is moisture. Over the day {day.DayWh:HeatEnergy}."));
    }

    private static Cause Largest(LoadDay day) => Enum.GetValues<Cause>().MaxBy(c => day.ByCause[(int)c][day.PeakHour]);

    private static List<HeadingLoad> Rose(SpaceDescription space, HeldLoad held) =>
        [.. Enumerable.Range(0, 16).Select(i => i * 22.5).Select(heading => new HeadingLoad(heading, held.Solve(space with { HeadingDeg = heading }).PeakW))];

    private static List<LoadMeasure> Measures(SurveyDesign survey, LoadDesign design, SpaceDescription space, HeldLoad held, List<HeadingLoad> rose)
    {
        var start = held.Solve(space);
        return [.. Candidates(survey, design, rose).Select(c =>
        {
            var load = held.Solve(SurveyedSpace.Build(c.Survey, c.SetpointC, design.HumidityPct));
            return new LoadMeasure(c.Id, c.Words, load.PeakW - start.PeakW, load.DayWh - start.DayWh, c.Changes);
        }).Where(m => m.PeakChangeW < -1).OrderBy(m => m.PeakChangeW)];
    }

    private static IEnumerable<(string Id, string Words, SurveyDesign Survey, double SetpointC, DesignChange[] Changes)> Candidates(SurveyDesign survey, LoadDesign design, List<HeadingLoad> rose)
    {
        var set = design.SetpointC;
        if (survey.Windows.Any(w => w.Cover is not ("quilted" or "opaque")))
            yield return ("covers", "tight quilted covers in every window", survey with { Windows = [.. survey.Windows.Select(w => w with { Cover = "quilted" })] }, set,
                [.. survey.Windows.Select((_, i) => new DesignChange($"/survey/windows/{i}/cover", "quilted"))]);
        if (RigBox.Absorptance(survey.Roof.Paint, "survey.roof") > 0.2)
            yield return ("roof-coat", "a white coat on the roof", survey with { Roof = survey.Roof with { Paint = "roof-coat" } }, set, [new("/survey/roof/paint", "roof-coat")]);
        if (RigBox.Absorptance(survey.Walls.Paint, "survey.walls") > 0.3)
            yield return ("white-walls", "white walls", survey with { Walls = survey.Walls with { Paint = "white" } }, set, [new("/survey/walls/paint", "white")]);
        if (survey.Roof.Layers.Count == 0 && survey.Walls.Layers.Count == 0 && survey.Roof.InsulationM > 0)
            yield return ("insulation", "twice the insulation in walls and roof",
                survey with { Roof = survey.Roof with { InsulationM = 2 * survey.Roof.InsulationM }, Walls = survey.Walls with { InsulationM = 2 * survey.Walls.InsulationM } }, set,
                [new("/survey/roof/insulationM", 2 * survey.Roof.InsulationM), new("/survey/walls/insulationM", 2 * survey.Walls.InsulationM)]);
        if (!survey.Roof.ThermalBreak || !survey.Walls.ThermalBreak)
            yield return ("break", "foam over the ribs", survey with { Roof = survey.Roof with { ThermalBreak = true }, Walls = survey.Walls with { ThermalBreak = true } }, set,
                [new("/survey/roof/thermalBreak", true), new("/survey/walls/thermalBreak", true)]);
        if (survey.Space.AirChangesPerHour > 0.5)
            yield return ("tight", "vents and gaps shut (0.5 air changes an hour)", survey with { Space = survey.Space with { AirChangesPerHour = 0.5 } }, set, [new("/survey/space/airChangesPerHour", 0.5)]);
        if (survey.OverheadCover > 0.5)
            yield return ("shade", "shade cloth over the roof", survey with { OverheadCover = 0.2 }, set, [new("/survey/overheadCover", 0.2)]);
        yield return ("warmer", "two degrees warmer inside", survey, set + 2, set + 2 <= 35 ? [new("/load/setpointC", set + 2)] : []);
        if (survey.Kind is not (RigKind.Cabin or RigKind.Workshop))
        {
            var best = rose.MinBy(r => r.PeakW)!;
            yield return ("heading", $"the nose turned to {best.HeadingDeg:0.#}°", survey with { HeadingDeg = best.HeadingDeg }, set, [new("/survey/headingDeg", best.HeadingDeg)]);
        }
    }

    private static IEnumerable<Finding> Findings(SurveyDesign survey, SpaceDescription space, LoadDay day, List<HeadingLoad> rose, List<LoadMeasure> measures)
    {
        if (day.PeakW <= 0)
            yield break;
        var sun = day.ByCause[(int)Cause.GlassSun][day.PeakHour];
        if (sun > 0.35 * day.PeakW)
            yield return new Finding("load.glass", Severity.Caution, Phrase.Of($"Sun through glass is {sun / day.PeakW:Fraction} of the peak load; {space.Windows[day.SunniestWindow.Index].Name} lets in most."), AsRemedies(measures.Where(m => m.Id == "covers")));
        var perFloor = new ThermalSpace(space).SkinWK / space.FloorM2;
        if (perFloor > 10)
            yield return new Finding("load.bare", Severity.Caution, Phrase.Of($"The skin loses {perFloor:Number} W/K for each m² of floor; above 10 is bare."), AsRemedies(measures.Where(m => m.Id is "insulation" or "break")));
        var air = day.ByCause[(int)Cause.Air][day.PeakHour] + day.ByCause[(int)Cause.DampAir][day.PeakHour];
        if (air > 0.30 * day.PeakW)
            yield return new Finding("air.hot", Severity.Caution, Phrase.Of($"Outside air is {air / day.PeakW:Fraction} of the load: a vent fan left on works against the unit."), AsRemedies(measures.Where(m => m.Id == "tight")));
        var best = rose.MinBy(r => r.PeakW)!;
        if (best.PeakW < 0.95 * day.PeakW && survey.Kind is not (RigKind.Cabin or RigKind.Workshop))
            yield return new Finding("heading.gain", Severity.Note, Phrase.Of($"Nose to {best.HeadingDeg:Angle} the peak is {best.PeakW:Power}, {1 - best.PeakW / day.PeakW:Fraction} less."), AsRemedies(measures.Where(m => m.Id == "heading")));
    }

    private static List<Remedy> AsRemedies(IEnumerable<LoadMeasure> measures) =>
        [.. measures.Select(m => new Remedy(Phrase.Of($"{m.Words}"), Phrase.Of($"{m.PeakChangeW:Power}"), m.Changes))];

    private static List<Figure> Figures(SpaceDescription space, LoadDay day)
    {
        var peak = day.PeakHour;
        var skin = new ThermalSpace(space).SkinWK;
        var working = Working.Start()
            .Given("t_o", "outdoor air in that hour", DesignDay.AirC(space.Weather, peak + 0.5), "°C", Sources.DesignDay)
            .Given("t_i", "held inside", space.SetpointC, "°C", Sources.HeatBalance)
            .Given("ΣUA", "skin, glass and ribs", skin, "W/K", Sources.Films)
            .Step("ṁ", "ρ·ACH·V/3600", $"{space.AirDensity:0.####} × {space.AirChangesPerHour} × {space.VolumeM3:0.##}/3600", space.InfiltrationKgS, "kg/s", Sources.HeatBalance);
        foreach (var cause in Enum.GetValues<Cause>())
            working.Step($"q {Labels[cause]}", "heat balance, mean of the hour", $"hour {peak + 1}", day.ByCause[(int)cause][peak], "W", cause switch
            {
                Cause.GlassSun or Cause.GlassConduction => Sources.Glass,
                Cause.People or Cause.DampPeople => Sources.People,
                Cause.DampAir or Cause.Air => Sources.Psychrometrics,
                Cause.Appliances or Cause.DampAppliances => Sources.Arithmetic,
                _ => Sources.SolAir,
            });
        working.Step("Q", "sensible + latent", $"{day.SensibleW[peak]:0.#} + {day.LatentW[peak]:0.#}", day.PeakW, "W", Sources.HeatBalance);
        return
        [
            new Figure("Peak load", day.PeakW, QuantityKind.Power, working.Done()),
            new Figure("of it sensible", day.SensibleW[peak], QuantityKind.Power, working.Done()),
            new Figure("of it moisture", day.LatentW[peak], QuantityKind.Power, working.Done()),
            new Figure("Heat of the day", day.DayWh, QuantityKind.HeatEnergy, Working.Start().Step("Q_day", "Σ of 24 hourly means × 1 h", $"peak {day.PeakW:0} W", day.DayWh, "Wh", Sources.HeatBalance).Done()),
        ];
    }
}
