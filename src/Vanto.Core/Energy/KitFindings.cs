using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>What a search can be asked once it is done, so that only ways out are offered that bring a kit.</summary>
internal interface IKitSearch
{
    /// <summary>What the sun leaves uncovered of the repeated design day with all modules allowed, whatever the bank, Wh; 0 or less where it covers
    /// it.</summary>
    double MissingWh();

    /// <summary>Fewest modules beyond those allowed with which a kit is found; null where not even the most do.</summary>
    int? ModulesThatHold();

    /// <summary>The smallest unit of the catalogue for the same supply that holds all days, and the kit it then takes; null where none does.</summary>
    (AcUnit Unit, KitPoint? Kit)? LargerUnit();

    /// <summary>Whether a search with another sizing finds a kit at the aim's own set-point.</summary>
    bool Finds(Func<SizingDesign, SizingDesign> change);

    /// <summary>Least reduction tried with which a soft starter starts the unit on some bank; null where none does.</summary>
    double? SoftStarterThatStarts();
}

/// <summary>What a search has to say: why nothing meets the aim and what the cheapest change would be, and where it is thin.</summary>
internal sealed class KitFindings(IKitSearch search, EnergyInputs inputs, StartDesign start, KitEquipment equipment, List<SizingScenario> scenarios,
    List<FrontierPoint> frontier, List<double> holds, MeetingKits held, KitSize fitted, SizingDemand[] demands)
{
    /// <summary>Share of the day's draw that may be missing before the sun is said not to carry it.</summary>
    private const double CoveredWithin = 0.005;

    /// <summary>Power to which hours of a source are told, W.</summary>
    private const double ToldW = 1000;

    public IEnumerable<Finding> All()
    {
        var sizing = inputs.Energy.Sizing;
        var unit = inputs.Unit;
        if (equipment.NoneStarts)
        {
            yield return Finding.Of(FindingCode.SizeStart, Severity.Stop,
                Phrase.Of($"No bank of up to {sizing.MostBatteries} blocks starts {unit.Name} at the reserve: it fails at the start, not for want of energy."),
                search.SoftStarterThatStarts() is { } reduction
                    ? [new Remedy(Phrase.Of($"soft starter"), Phrase.Of($"{reduction:Fraction} less at the start"), StartTrials.Softened(start,
                        reduction))] : []);
            yield break;
        }
        if (sizing.ChooseGenerator && equipment.Generators.Count == 1)
            yield return Finding.Of(FindingCode.SizeGenerator, Severity.Caution,
                $"No generator of the kind named in Survey carries the most drawn here and starts {unit.Name}; kits are without one.");
        if (sizing.MostModules > 0 && ArrayFindings.Of(inputs.Survey, unit).Roof.Count is var roof && roof < sizing.MostModules)
            yield return Finding.Of(FindingCode.SizeRoof, Severity.Caution,
                Phrase.Of($"Up to {sizing.MostModules} modules are tried, but in straight rows the roof holds {roof}."),
                [new Remedy(Phrase.Of($"at most {roof} modules"), Phrase.Of($"as the roof holds"), Sizing(s => s with { MostModules = roof }))]);
        if (demands.Take(scenarios.Count).FirstOrDefault(d => d.UnitLimited) is { } limited)
        {
            yield return UnitLimited(limited);
            yield break;
        }
        if (frontier.All(p => p.Kit.SetpointC != holds[0]))
        {
            yield return held.Any(0) ? Limits() : scenarios[0].Least.All(l => l < 0) && search.MissingWh() is var missing
                && missing > CoveredWithin * scenarios[0].AirconWh ? SunLimited(missing) : None();
            yield break;
        }
        if (scenarios.Count == 1)
            yield return Finding.Of(FindingCode.SizeThin, Severity.Caution,
                $"Only the design day was asked. A hotter, cloudier or older night finds the limit.");
        var failing = scenarios.Where(s => s.FittedMinSoc is not { } soc || soc < inputs.ReserveSoc).ToList();
        if (failing.Count > 0)
            yield return Finding.Of(FindingCode.SizeFitted, Severity.Caution,
                $"What is fitted now, {Calls.Many(fitted.Batteries, "block")} and {Calls.Many(fitted.Modules, "module")}, does not hold {failing[0].Words}.");
    }

    private DesignEdit Sizing(Func<SizingDesign, SizingDesign> change) =>
        DesignEdit.Of(inputs.Energy, e => e with { Sizing = change(e.Sizing) });

    private Finding UnitLimited(SizingDemand limited)
    {
        var larger = search.LargerUnit();
        var elsewhere = larger is null ? " (no unit of the catalogue for this supply holds it)" : "";
        return RunFindings.UnitLimited(
            Phrase.Of($"On {limited.Days.Words} {inputs.Unit.Name} at full power lets the cabin rise to {limited.WarmestC:Temperature}, too warm for "
                + $"{limited.WarmHours:Hours}{elsewhere}")) with
        {
            Remedies = [.. larger is { } found ? [TakeUnit(found.Unit, found.Kit)] : Array.Empty<Remedy>(), .. WarmerThatHolds()],
        };
    }

    private Remedy TakeUnit(AcUnit unit, KitPoint? kit) => new(Phrase.Of($"take {unit.Name}"),
        kit is null ? Phrase.Of($"it holds the cabin, but no kit within the limits carries it")
            : Phrase.Of($"the smallest that holds it; {Calls.Many(kit.Batteries, "block")} and {Calls.Many(kit.Modules, "module")} then carry it"),
        DesignEdit.Of(inputs.UnitDesign, u => u with { Chosen = unit.Id }));

    private Finding Limits() =>
        Finding.Of(FindingCode.SizeLimits, Severity.Stop, Phrase.Of($"Kits that hold exist, but every one is past the limit of cost or weight."),
            [new Remedy(Phrase.Of($"lift the limits of cost and weight"), Phrase.Of($"they alone forbid it"),
                Sizing(s => s with { MostCost = null, MostMassKg = null }))]);

    private Finding SunLimited(double missingWh)
    {
        var sizing = inputs.Energy.Sizing;
        var modules = search.ModulesThatHold();
        return Finding.Of(FindingCode.SizeSunLimited, Severity.Stop,
            Phrase.Of($"With {sizing.MostModules} modules the sun does not carry the design day, day after day, whatever the bank: {missingWh:Energy} a day "
                + $"are missing, {missingWh / ToldW:Hours} a day of shore or generator at {ToldW:ElectricPower}."
                + $"{(modules is null ? " No number of modules would do." : "")}"),
            [.. modules is { } count ? [new Remedy(Phrase.Of($"allow {count} modules"), Phrase.Of($"they carry all days asked"),
                    Sizing(s => s with { MostModules = count }))] : Array.Empty<Remedy>(), .. WarmerThatHolds(), .. GeneratorAllowed(),
                .. sizing.Lasting == LastingAim.Nights ? [] : Tried(Phrase.Of($"aim at {sizing.Nights} nights, then recharged"),
                    Phrase.Of($"a shorter promise"), s => s with { Lasting = LastingAim.Nights })]);
    }

    /// <summary>A way out by another sizing, where a search with it finds a kit.</summary>
    private IEnumerable<Remedy> Tried(Phrase words, Phrase effect, Func<SizingDesign, SizingDesign> change)
    {
        if (search.Finds(change))
            yield return new Remedy(words, effect, Sizing(change));
    }

    private IEnumerable<Remedy> WarmerThatHolds()
    {
        var warmer = Enumerable.Range(1, holds.Count - 1).FirstOrDefault(held.Any);
        if (warmer > 0)
            yield return new Remedy(Phrase.Of($"hold {holds[warmer]:Temperature}"), Phrase.Of($"costs nothing"), equipment.Warmer(holds[warmer]));
    }

    private IEnumerable<Remedy> GeneratorAllowed() => inputs.Energy.Sizing.ChooseGenerator || inputs.Survey.Sources.Generator.Fitted ? []
        : Tried(Phrase.Of($"let a generator be bought"), Phrase.Of($"at most {inputs.Energy.Sizing.MostGeneratorHours:Hours} a week"),
            s => s with { ChooseGenerator = true });

    private Finding None()
    {
        var sizing = inputs.Energy.Sizing;
        var blame = scenarios.FirstOrDefault(s => s.Least.All(l => l < 0)) ?? scenarios[^1];
        return RunFindings.NothingHolds(sizing.MostBatteries, sizing.MostModules, blame.Words) with
        {
            Remedies = [.. WarmerThatHolds(), .. GeneratorAllowed(), .. MoreBlocks(sizing.MostBatteries)],
        };
    }

    /// <summary>The limit of blocks doubled until a kit is found.</summary>
    private IEnumerable<Remedy> MoreBlocks(int most)
    {
        while (most < MostBlocks)
        {
            var blocks = most = Math.Min(MostBlocks, 2 * most);
            if (search.Finds(s => s with { MostBatteries = blocks }))
                return [new Remedy(Phrase.Of($"allow more blocks"), Phrase.Of($"up to {blocks}"), Sizing(s => s with { MostBatteries = blocks }))];
        }
        return [];
    }

    /// <summary>Battery blocks that a search can be asked about.</summary>
    private const int MostBlocks = 40;
}
