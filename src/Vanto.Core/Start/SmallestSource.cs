using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>The smallest source of a class that starts a unit, from steps as they are sold.</summary>
public static class SmallestSource
{
    /// <summary>The first step that starts the case and carries it on; null where none does. Inverters stand on a stiff battery.</summary>
    /// <param name="start">The case; its source gives only the voltage.</param>
    /// <param name="kind">Class asked.</param>
    /// <param name="derate">Share of a generator's label left by height and heat.</param>
    public static SourceStep? Of(StartCase start, SourceClass kind, double derate = 1)
    {
        foreach (var step in SourceSteps.Of(kind))
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
