using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>Findings on air to breathe and to burn, on those left alone in the heat, on damp walls in winter and on shade.</summary>
internal static class AirFindings
{
    /// <summary>Air up to which animals are kept from harm for a while; common practice.</summary>
    public const double SafeC = 32;

    public static IEnumerable<Finding> Of(SurveyDesign survey, LoadDesign design, SpaceDescription space, HeldAirLoad held, LoadDay day, SoakView soak)
    {
        var freshLs = 1000 * (space.AirChangesPerHour * space.VolumeM3 / 3600 + space.FreshAirM3s);
        var flame = survey.Cooking.Where(c => c.Kind == StoveKind.Propane).Select(c => c.PowerW).DefaultIfEmpty(0).Max();
        if (AirExchange.JudgeFlame(flame, freshLs / 1000) is { } starved)
            yield return starved;
        if (AirExchange.JudgeBreath(Breath(survey, freshLs), freshLs / 1000) is { } stuffy)
            yield return stuffy;
        var at32 = soak.Hold.First(h => h.LimitC == SafeC).Minutes;
        if (survey.Occupants.Any(o => o.Alone) && at32 is < 60
            && !(survey.Sources.Generator is { Fitted: true, AutoStart: true } || survey.Sources.Shore.PluggedIn))
            yield return Finding.Of(FindingCode.HoldAnimal, Severity.Stop,
                $"Left alone, whoever is inside can count on {at32 ?? 0:Count} minutes until {SafeC:Temperature} once the unit stops, and there is no second "
                    + $"source of power.");
        if (survey.Shades.Count > 0)
        {
            var bare = held.Solve(space with { Shades = [] }).PeakW;
            if (day.PeakW < 0.85 * bare)
                yield return Finding.Of(FindingCode.ShadeParking, Severity.Note,
                    $"Shade takes {1 - day.PeakW / bare:Fraction} off the peak: in the open it is {bare:Power}.");
        }
        if (survey.Space.GapM2 > 0)
        {
            var gap = SurveyedSpace.Gap(survey, design.SetpointC);
            var without = held.Solve(space with { FreshAirM3s = space.FreshAirM3s - gap }).PeakW;
            yield return Finding.Of(FindingCode.GapAir, Severity.Caution,
                Phrase.Of($"The gap round the unit lets in {gap:AirFlow} at the hottest hour: {Math.Max(0, day.PeakW - without):Power} of {day.PeakW:Power}."),
                [new Remedy(Phrase.Of($"close the gap"), Phrase.Of($"{without:Power} at the peak"),
                    DesignEdit.Of(survey, s => s with { Space = s.Space with { GapM2 = 0 } }))]);
        }
        if (DampWall(survey, design, space) is { } damp)
            yield return damp;
    }

    private static double Breath(SurveyDesign survey, double freshLs)
    {
        if (freshLs <= 0)
            return 0;
        double Ppm(int hour)
        {
            var awake = survey.People.Count * Day.Share(hour, survey.People.AwakeFrom, survey.People.AwakeTo);
            var asleep = survey.People.SleepHere ? survey.People.Count - awake : 0;
            var others = survey.Occupants.Where(o => o.Kind == OccupantKind.People).Sum(o => o.Count * Day.Share(hour, o.From, o.To));
            return AirExchange.CarbonDioxidePpm(awake + others, asleep, freshLs);
        }
        return Enumerable.Range(0, 24).Max(Ppm);
    }

    private static Finding? DampWall(SurveyDesign survey, LoadDesign design, SpaceDescription space)
    {
        var dew = MoistAir.DewPoint(MoistAir.RatioFromRh(design.HeatC, design.HumidityPct, space.Weather.PressurePa), space.Weather.PressurePa);
        foreach (var face in space.Faces.Where(f => f.FarSide == FarSide.OutdoorAir && f.Kind == FaceKind.Wall).Take(1))
        {
            var inside = HeatingLoad.InsideFilm(face.TiltDeg);
            var u = Layers.Transmittance(face.Layers, inside, 1 / ThermalSpace.OutsideFilm(face, survey.Climate.WinterWindMs, 273.15))
                + face.ExtraTransmittance;
            var surface = design.HeatC - u * inside * (design.HeatC - survey.Climate.WinterC);
            if (surface < dew)
                return Finding.Of(FindingCode.SkinCondense, Severity.Caution,
                    $"In the coldest night the lining stands at {surface:Temperature} on the mean, below the room's dew point of {dew:Temperature}: it will "
                        + $"be wet.");
        }
        return null;
    }
}
