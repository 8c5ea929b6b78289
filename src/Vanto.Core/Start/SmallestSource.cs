using Vanto.Core.Physics;

namespace Vanto.Core.Start;

/// <summary>A source as it is sold: its class and watts, for generators the maximum too.</summary>
public readonly record struct SourceStep(SourceClass Class, double RatedW, double MaximumW);

/// <summary>The smallest source of a class that starts a unit, from steps as they are sold; common practice.</summary>
public static class SmallestSource
{
    private static readonly double[] HighFrequencyW = [1000, 1500, 2000, 2500, 3000, 3500, 4000, 5000];
    private static readonly double[] TransformerW = [1000, 1600, 2000, 2400, 3000, 4000, 5000];
    private static readonly (double, double)[] InverterGeneratorW = [(900, 1000), (1600, 2000), (1800, 2200), (2300, 2600), (2800, 3300), (3200, 4000), (4000, 4500)];
    private static readonly (double, double)[] ConventionalW = [(2000, 2500), (2800, 3500), (3500, 4375), (5000, 6250)];

    /// <summary>Steps of a class, the smallest first.</summary>
    public static IReadOnlyList<SourceStep> Steps(SourceClass kind) => kind switch
    {
        SourceClass.HighFrequencyInverter => [.. HighFrequencyW.Select(w => new SourceStep(kind, w, 2 * w))],
        SourceClass.TransformerInverter => [.. TransformerW.Select(w => new SourceStep(kind, w, 3 * w))],
        SourceClass.InverterGenerator => [.. InverterGeneratorW.Select(g => new SourceStep(kind, g.Item1, g.Item2))],
        SourceClass.ConventionalGenerator => [.. ConventionalW.Select(g => new SourceStep(kind, g.Item1, g.Item2))],
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "no steps of that class"),
    };

    /// <summary>The first step that starts the case and carries it on; null where none does. Inverters stand on a stiff battery.</summary>
    /// <param name="start">The case; its source gives only the voltage.</param>
    /// <param name="kind">Class asked.</param>
    /// <param name="derate">Share of a generator's label left by height and heat.</param>
    public static SourceStep? Of(StartCase start, SourceClass kind, double derate = 1)
    {
        foreach (var step in Steps(kind))
            if (StartSimulation.Starts(start with { Source = Source(step, start.Source.Volts, derate) }))
                return step;
        return null;
    }

    private static PowerSource Source(SourceStep step, double volts, double derate) => step.Class switch
    {
        SourceClass.InverterGenerator => PowerSource.OfGenerator(GeneratorKind.Inverter, volts, step.RatedW * derate, step.MaximumW * derate),
        SourceClass.ConventionalGenerator => PowerSource.OfGenerator(GeneratorKind.Conventional, volts, step.RatedW * derate, step.MaximumW * derate),
        _ => PowerSource.OfInverter(step.Class, volts, step.RatedW),
    };
}
