using Vanto.Core.Findings;
using Vanto.Core.Start;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>What a search has to say: why nothing meets the aim and what the cheapest change would be, and where it is thin.</summary>
internal static class KitFindings
{
    public static IEnumerable<Finding> Of(EnergyInputs inputs, StartDesign start, AcUnit unit, KitEquipment equipment, List<SizingScenario> scenarios,
        List<FrontierPoint> frontier, List<double> holds, MeetingKits held, KitSize fitted)
    {
        var sizing = inputs.Energy.Sizing;
        if (equipment.NoneStarts)
        {
            yield return Finding.Of(FindingCode.SizeStart, Severity.Stop,
                Phrase.Of($"No bank of up to {sizing.MostBatteries} blocks starts {unit.Id} at the reserve: it fails at the start, not for want of energy."),
                unit.SingleSpeed && start.Remedy == StartRemedy.None ? [new Remedy(Phrase.Of($"soft starter"),
                    Phrase.Of($"{KitEquipment.SoftReduction:Fraction} less at the start"),
                    DesignEdit.Of(start, s => s with { Remedy = StartRemedy.SoftStarter, Reduction = KitEquipment.SoftReduction }))] : []);
            yield break;
        }
        if (sizing.ChooseGenerator && equipment.Generators.Count == 1)
            yield return Finding.Of(FindingCode.SizeGenerator, Severity.Caution,
                $"No generator of the kind named in Survey carries the most drawn here and starts {unit.Id}; kits are without one.");
        if (sizing.MostModules > 0 && ArrayFindings.Of(inputs.Survey, unit).Roof.Count is var roof && roof < sizing.MostModules)
            yield return Finding.Of(FindingCode.SizeRoof, Severity.Caution,
                Phrase.Of($"Up to {sizing.MostModules} modules are tried, but in straight rows the roof holds {roof}."),
                [new Remedy(Phrase.Of($"at most {roof} modules"), Phrase.Of($"as the roof holds"), Sizing(inputs, s => s with { MostModules = roof }))]);
        if (frontier.Count == 0)
        {
            yield return None(inputs, equipment, scenarios, holds, held);
            yield break;
        }
        if (scenarios.Count == 1)
            yield return Finding.Of(FindingCode.SizeThin, Severity.Caution,
                $"Only the design day was asked. A hotter, cloudier or older night finds the limit.");
        var failing = scenarios.Where(s => s.FittedMinSoc is not { } soc || soc < inputs.ReserveSoc).ToList();
        if (failing.Count > 0)
            yield return Finding.Of(FindingCode.SizeFitted, Severity.Caution,
                $"What is fitted now, {fitted.Batteries} blocks and {fitted.Modules} modules, does not hold {failing[0].Words}.");
    }

    private static DesignEdit Sizing(EnergyInputs inputs, Func<SizingDesign, SizingDesign> change) =>
        DesignEdit.Of(inputs.Energy, e => e with { Sizing = change(e.Sizing) });

    private static Finding None(EnergyInputs inputs, KitEquipment equipment, List<SizingScenario> scenarios, List<double> holds, MeetingKits held)
    {
        var sizing = inputs.Energy.Sizing;
        if (held.Any(0))
            return Finding.Of(FindingCode.SizeLimits, Severity.Stop, Phrase.Of($"Kits that hold exist, but every one is past the limit of cost or weight."),
                [new Remedy(Phrase.Of($"lift the limits of cost and weight"), Phrase.Of($"they alone forbid it"),
                    Sizing(inputs, s => s with { MostCost = null, MostMassKg = null }))]);
        var blame = scenarios.FirstOrDefault(s => s.Least.All(l => l < 0)) ?? scenarios[^1];
        var remedies = new List<Remedy>();
        var warmer = Enumerable.Range(1, holds.Count - 1).FirstOrDefault(held.Any);
        if (warmer > 0)
            remedies.Add(new Remedy(Phrase.Of($"hold {holds[warmer]:Temperature}"), Phrase.Of($"costs nothing"), equipment.Warmer(holds[warmer])));
        if (!sizing.ChooseGenerator && !inputs.Survey.Sources.Generator.Fitted)
            remedies.Add(new Remedy(Phrase.Of($"let a generator be bought"), Phrase.Of($"at most {sizing.MostGeneratorHours:Hours} a week"),
                Sizing(inputs, s => s with { ChooseGenerator = true })));
        if (sizing.MostBatteries < 40)
            remedies.Add(new Remedy(Phrase.Of($"allow more blocks"), Phrase.Of($"up to {Math.Min(40, 2 * sizing.MostBatteries)}"),
                Sizing(inputs, s => s with { MostBatteries = Math.Min(40, 2 * s.MostBatteries) })));
        return RunFindings.NothingHolds(sizing.MostBatteries, sizing.MostModules, blame.Words) with { Remedies = remedies };
    }
}
