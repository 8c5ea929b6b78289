using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Handover;

/// <summary>A load as typed.</summary>
public sealed record LoadInput : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "kettle";
    [Field(ApparentPower, 0, 20000, Label = "Runs at")] public double RunVa { get; init; } = 1500;
    [Field(ApparentPower, 0, 60000, Label = "Starts at")] public double StartVa { get; init; } = 1500;
}

/// <summary>Inputs of <see cref="HandoverCalculators.Together"/>.</summary>
public sealed record RunTogetherInput : DesignPart
{
    [Field(ApparentPower, 100, 50000, Label = "Source, continuous")] public double ContinuousVa { get; init; } = 3000;
    [Field(ApparentPower, 100, 100000, Label = "Source, for a start")] public double SurgeVa { get; init; } = 4000;
    [Field(Fraction, 0.5, 1, Label = "Share used for hours on end")] public double Margin { get; init; } = 0.9;
    [Field(Count, 1, 3, Label = "Starts in the same second")] public int CoincidentStarts { get; init; } = 1;
    [Ask("Loads")] public IReadOnlyList<LoadInput> Loads { get; init; } = [new() { Name = "air conditioner", RunVa = 900, StartVa = 2600 }, new()];
}

/// <summary>Calculations for the owner, for the Bench and the API.</summary>
public static class HandoverCalculators
{
    /// <summary>What may run together.</summary>
    [Calculator("run-together", "What may run together", "Can I make tea with the air conditioner on", CitationIds = [nameof(Citations.Arithmetic)])]
    public static CalculationResult Together(RunTogetherInput i)
    {
        if (i.Loads.Count is < 1 or > RunTogether.MostLoads)
            throw new InputException("loads", $"{i.Loads.Count}", $"loads must be 1 to {RunTogether.MostLoads}; got {i.Loads.Count}");
        var result = RunTogether.Of([.. i.Loads.Select(l => new OwnerLoad(l.Name, l.RunVa, Math.Max(l.RunVa, l.StartVa)))], i.ContinuousVa, i.SurgeVa, i.Margin,
            i.CoincidentStarts);
        var builder = new ResultBuilder().Step("sets", "Sets allowed", "Σ run ≤ margin·continuous and Σ run + largest starts ≤ surge",
            $"of {1 << i.Loads.Count}", result.AllowedCount, Count, Citations.Arithmetic);
        foreach (var set in result.Maximal)
            builder.Words("together", "Together", string.Join(", ", set.Select(k => i.Loads[k].Name)));
        foreach (var set in result.Forbidden)
            builder.Words("never", "Not together", string.Join(" with ", set.Select(k => i.Loads[k].Name)));
        return builder.Done();
    }
}
