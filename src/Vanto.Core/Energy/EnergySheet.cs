using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;

namespace Vanto.Core.Energy;

/// <summary>What Energy prints for the owner: the sources fitted, the hours a full battery lasts, what goes off first.</summary>
public static class EnergySheet
{
    /// <summary>Hours beyond which a sheet does not count them.</summary>
    private const double ADay = 24;

    public static IEnumerable<SheetBlock> Of(SurveyDesign survey, EnergyDesign energy, EnergyAssessment own)
    {
        yield return new SheetBlock(SheetPlace.Fitted, "What was fitted", SheetForm.Pairs, [.. Fitted(survey.Sources)]);
        if (own.Owner.Count > 0)
            yield return new SheetBlock(SheetPlace.Running, "How long on a full battery, at night", SheetForm.Tiles, [.. own.Owner.Select(Tile)]);
        if (own.Owner.Count > 0 && survey.Sources.Battery.Chemistry == Chemistry.Lfp)
            yield return new SheetBlock(SheetPlace.Running, "As the battery ages", SheetForm.Sentences,
                [SheetLine.Sentence(BatteryFade.Words(survey.Sources.Battery.TemperatureC))]);
        if (own.Away is { } away)
            yield return Away.Printed(away, energy.Away);
        yield return new SheetBlock(SheetPlace.Running, "When power runs short, in this order", SheetForm.Sentences, [SheetLine.Sentence(WhenShort(survey))]);
    }

    /// <summary>Hours are rounded down already, to quarters where they are few: every digit counts.</summary>
    private static SheetLine Tile(SetpointHours row) => new(
        Phrase.Of($"{row.SetpointC:Temperature}"), Exact(row.PrintedHours), Phrase.Of($"{Exact(row.AgedHours)} when aged"), "", null);

    private static Phrase Exact(double hours)
    {
        var most = Phrase.Of(new Measure(Math.Min(hours, ADay), QuantityKind.Hours, Exact: true));
        return hours > ADay ? Phrase.Of($"more than {most}") : most;
    }

    private static Phrase WhenShort(SurveyDesign survey)
    {
        var (before, after) = LimitedPower.Order(survey);
        string[] order = [.. before.Select(d => d.Device.Name), "set the air conditioner one or two degrees warmer", "the air conditioner",
            .. after.Select(d => d.Device.Name)];
        return Phrase.Of($"{string.Join(", then ", order)}. Never: {LimitedPower.NeverShed}.");
    }

    private static IEnumerable<SheetLine> Fitted(SourcesDesign sources)
    {
        if (sources.Battery.Fitted)
            yield return SheetLine.Pair("Battery", Phrase.Of(
                $"{sources.Battery.Blocks} × {sources.Battery.BlockAh:Charge} at {sources.Battery.BankV:Voltage}, {Calls.Name(sources.Battery.Chemistry)}"));
        if (sources.Inverter.Fitted && sources.Battery.Fitted)
            yield return SheetLine.Pair("Inverter", Phrase.Of($"{sources.Inverter.RatedW:ElectricPower}, {Calls.Name(sources.Inverter.Class)}"));
        if (sources.Modules.Count > 0)
            yield return SheetLine.Pair("Modules", Phrase.Of($"{sources.Modules.Count} × {sources.Modules.RatedW:ElectricPower}"));
        if (sources.Generator.Fitted)
            yield return SheetLine.Pair("Generator",
                Phrase.Of($"{sources.Generator.RatedW:ElectricPower} rated, {sources.Generator.MaximumW:ElectricPower} at most"));
        if (sources.Shore.PluggedIn)
            yield return SheetLine.Pair("Shore", Phrase.Of($"{sources.Shore.Volts:Voltage}, {sources.Shore.BreakerA:Current}"));
    }
}
