namespace Vanto.Core.Supply;

/// <summary>A source as it is sold: its class and watts, for generators the maximum too.</summary>
public readonly record struct SourceStep(SourceClass Class, double RatedW, double MaximumW);

/// <summary>Sizes that sources are sold in; common practice.</summary>
public static class SourceSteps
{
    private static readonly double[] HighFrequencyW = [1000, 1500, 2000, 2500, 3000, 3500, 4000, 5000];
    private static readonly double[] TransformerW = [1000, 1600, 2000, 2400, 3000, 4000, 5000];
    private static readonly (double, double)[] InverterGeneratorW =
        [(900, 1000), (1600, 2000), (1800, 2200), (2300, 2600), (2800, 3300), (3200, 4000), (4000, 4500)];
    private static readonly (double, double)[] ConventionalW = [(2000, 2500), (2800, 3500), (3500, 4375), (5000, 6250)];

    /// <summary>Steps of a class, the smallest first.</summary>
    public static IReadOnlyList<SourceStep> Of(SourceClass kind) => kind switch
    {
        SourceClass.HighFrequencyInverter => [.. HighFrequencyW.Select(w => new SourceStep(kind, w, 2 * w))],
        SourceClass.TransformerInverter => [.. TransformerW.Select(w => new SourceStep(kind, w, 3 * w))],
        SourceClass.InverterGenerator => [.. InverterGeneratorW.Select(g => new SourceStep(kind, g.Item1, g.Item2))],
        SourceClass.ConventionalGenerator => [.. ConventionalW.Select(g => new SourceStep(kind, g.Item1, g.Item2))],
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "no steps of that class"),
    };
}
