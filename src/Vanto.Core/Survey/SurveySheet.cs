using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;

namespace Vanto.Core.Survey;

/// <summary>What the survey prints for the owner: the rig, and the dangers of its sources.</summary>
public static class SurveySheet
{
    public static IEnumerable<SheetBlock> Of(SurveyDesign survey)
    {
        var (space, place) = (survey.Space, survey.Place);
        yield return new SheetBlock(SheetPlace.Rig, "The rig", SheetForm.Pairs,
        [
            SheetLine.Pair("Rig", Phrase.Of($"{Calls.Name(survey.Kind)}, {space.LengthM:Length} × {space.WidthM:Length} × {space.HeightM:Length} inside")),
            SheetLine.Pair("Design day",
                Phrase.Of($"{place.DryBulbC:Temperature} by day, {place.NightLowC:Temperature} at night{(place.Name.Length > 0 ? ", " + place.Name : "")}")),
        ]);
        yield return new SheetBlock(SheetPlace.Cautions, "Cautions", SheetForm.Bullets, [.. Cautions(survey)]);
    }

    private static IEnumerable<SheetLine> Cautions(SurveyDesign survey)
    {
        var sources = survey.Sources;
        if (sources.Battery.Fitted)
            yield return SheetLine.Sentence(
                Phrase.Of($"A battery bank gives thousands of amperes into a short: fuse at the positive post, insulated tools, no rings."));
        if (sources.Battery.Fitted && sources.Battery.Chemistry.IsLithium())
            yield return SheetLine.Sentence(Phrase.Of($"Never charge the lithium bank below {0.0:Temperature}."));
        if (sources.Modules.Count > 0)
            yield return SheetLine.Sentence(Phrase.Of($"Modules are live in daylight: open their disconnect first."));
        if (sources.Generator.Fitted)
            yield return SheetLine.Sentence(
                Phrase.Of($"Generator exhaust kills sleepers: never inside, under windows or upwind; a working carbon monoxide alarm always."));
        if (survey.Kind is not (RigKind.Cabin or RigKind.Workshop or RigKind.Boat))
            yield return SheetLine.Sentence(Phrase.Of($"Before driving: unit off, covers stowed, mind the height with the unit on the roof."));
    }
}
