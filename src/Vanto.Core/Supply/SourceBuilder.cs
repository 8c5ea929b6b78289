using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>Makes banks, inverters and sources of what the survey found on board.</summary>
public static class SourceBuilder
{
    /// <summary>Continuous watts of inverters as they are sold.</summary>
    public static readonly IReadOnlyList<double> InverterStepsW = [1000, 1500, 2000, 2500, 3000, 3500, 4000, 5000, 6000, 8000];

    public static BatteryBank Bank(BatteryDesign battery)
    {
        return new BatteryBank(battery.Chemistry, battery.Cells, battery.BlockAh * battery.Blocks, battery.TemperatureC, battery.CapacityLeft,
            ageResistance: 1 + 2.5 * (1 - battery.CapacityLeft), continuousA: battery.BlockLimitA is { } limit ? limit * battery.Blocks : null);
    }

    /// <summary>Losses of the inverter, fitted to its maker's table where there is one; without a figure it idles at 1 % of its rating.</summary>
    public static InverterModel Inverter(InverterDesign inverter) => InverterLosses.Model(inverter);

    /// <summary>Cable between bank and inverter, both ways, Ω.</summary>
    public static double BankCableOhm(BatteryDesign battery) => Conductors.LoopOhm(battery.CableM, battery.CableMm2, 30);

    /// <summary>The source asked, derated by height and heat.</summary>
    /// <param name="sources">What is on board.</param>
    /// <param name="elevationM">Height of the place, m.</param>
    /// <param name="airC">Air there, °C.</param>
    /// <param name="on">The source asked.</param>
    /// <param name="soc">Charge of the bank, 0 to 1.</param>
    /// <exception cref="InputException">It is not on board.</exception>
    public static PowerSource Source(SourcesDesign sources, double elevationM, double airC, SourceChoice on, double soc)
    {
        switch (on)
        {
            case SourceChoice.Generator when sources.Generator.Fitted:
                var left = Generators.DerateFactor(elevationM, airC);
                if (sources.Generator.MaximumW <= sources.Generator.RatedW * 1.009)
                    throw new InputException("survey.sources.generator.maximumW", Phrase.Of($"{sources.Generator.MaximumW:ElectricPower}"),
                        Phrase.Of(
                            $"The generator's maximum of {sources.Generator.MaximumW:ElectricPower} must be above its rating of "
                                + $"{sources.Generator.RatedW:ElectricPower}."));
                if (sources.Generator.Kind == GeneratorKind.Inverter && sources.Generator.MaximumW >= 1.495 * sources.Generator.RatedW)
                    throw new InputException("survey.sources.generator.maximumW", Phrase.Of($"{sources.Generator.MaximumW:ElectricPower}"),
                        Phrase.Of($"An inverter generator's maximum is at most 1.49 times its rating of {sources.Generator.RatedW:ElectricPower}; got "
                            + $"{sources.Generator.MaximumW:ElectricPower}."));
                return PowerSource.OfGenerator(sources.Generator.Kind, sources.Generator.OutputV, sources.Generator.RatedW * left,
                    sources.Generator.MaximumW * left);
            case SourceChoice.Shore when sources.Shore.PluggedIn:
                var shore = PowerSource.OfShore(sources.Shore.Volts, sources.Shore.BreakerA,
                    sources.Shore.Volts < 150 ? BreakerFamily.NorthAmerican : BreakerFamily.IecC);
                return shore with { Impedance = shore.Impedance + Conductors.LoopOhm(sources.Shore.CableM, sources.Shore.CableMm2, 30) };
            case SourceChoice.Inverter when sources.Inverter.Fitted && sources.Battery.Fitted:
                var model = Inverter(sources.Inverter);
                return OwnInverter.Bearing(PowerSource.OfInverter(Class(sources.Inverter.Class), sources.Inverter.OutputV, sources.Inverter.ContinuousW,
                    new DcSide(Bank(sources.Battery), soc, BankCableOhm(sources.Battery), model)), sources.Inverter);
            default:
                throw new InputException("start.on", on.ToString(), on == SourceChoice.Inverter
                    ? "No inverter with a battery bank is on board; add them in Survey or start on another source."
                    : $"No {Calls.Name(on)} is on board; add it in Survey or start on another source.");
        }
    }

    public static SourceClass Class(InverterClass kind) => kind switch
    {
        InverterClass.Transformer => SourceClass.TransformerInverter,
        InverterClass.PowerStation => SourceClass.PowerStation,
        _ => SourceClass.HighFrequencyInverter,
    };
}
