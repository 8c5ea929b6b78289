using System.Numerics;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Start;

/// <summary>Inputs of <see cref="SourceCalculators.Smallest"/> and <see cref="SourceCalculators.Rules"/>.</summary>
public sealed record UnitSourceInput : DesignPart
{
    [Ask("Unit", Options = "units")] public string Unit { get; init; } = "RT-13-115";
    [Ask("Helped by")] public StartRemedy Remedy { get; init; } = StartRemedy.None;
    [Field(Fraction, 0.40, 0.80, Label = "Soft starter takes away")] public double Reduction { get; init; } = 0.65;
    [Field(Resistance, 0, 2, Label = "Cable")] public double LineOhm { get; init; } = 0.05;
    [Field(Length, -100, 4500, Label = "Altitude", Help = "a generator has less left up there")] public double AltitudeM { get; init; }
    [Field(Temperature, -20, 55, Label = "Air at the generator")] public double AirC { get; init; } = 25;
}

/// <summary>Inputs of <see cref="SourceCalculators.Order"/>.</summary>
public sealed record StartOrderInput : DesignPart
{
    [Ask("One unit", Options = "units")] public string First { get; init; } = "RT-13-115";
    [Ask("The other", Options = "units")] public string Second { get; init; } = "RT-09-115";
    [Field(ElectricPower, 500, 20000, Label = "Inverter")] public double InverterW { get; init; } = 3000;
    [Ask("High-frequency inverter", Help = "else one with a transformer")] public bool HighFrequency { get; init; }
    [Field(Resistance, 0, 2, Label = "Cable")] public double LineOhm { get; init; } = 0.05;
    [Ask("Each with a soft starter")] public bool Soft { get; init; }
    [Field(Fraction, 0.40, 0.80, Label = "It takes away")] public double Reduction { get; init; } = UnitToStart.TypicalReduction;
}

/// <summary>Sources for a unit, for the Bench and the API.</summary>
public static class SourceCalculators
{
    /// <summary>The smallest source of each class.</summary>
    [Calculator("smallest-source", "The smallest source that starts it", "Which inverter or generator to buy",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves)])]
    public static CalculationResult Smallest(UnitSourceInput i)
    {
        var unit = Single(i.Unit, "unit");
        var start = Case(unit, i.LineOhm) with { Remedy = i.Remedy, Reduction = i.Reduction };
        if (i.Remedy == StartRemedy.SoftStarter)
            SoftStarter.Check("reduction", start.Motor.LraA, start.Motor.RlaA, i.Reduction);
        var result = new ResultBuilder();
        foreach (var kind in new[] { SourceClass.HighFrequencyInverter, SourceClass.TransformerInverter, SourceClass.InverterGenerator,
            SourceClass.ConventionalGenerator })
        {
            if (SmallestSource.Of(start, kind, Generators.DerateFactor(i.AltitudeM, i.AirC)) is { } step)
                result.Step($"P_{(int)kind}", Calls.Name(kind), "first of its steps that starts and runs on",
                    $"{unit.Name}, {SourceSteps.Of(kind).Count} steps",
                    step.RatedW, ElectricPower, Citations.SurgeCurves);
            else
                result.Words($"P_{(int)kind}", Calls.Name(kind), "none of its steps");
        }
        return result.Done();
    }

    /// <summary>Rules of thumb.</summary>
    [Calculator("start-rules", "Rules of thumb for starts", "What the trade says, to be held against the model", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Rules(UnitSourceInput i)
    {
        var unit = Single(i.Unit, "unit");
        var model = SmallestSource.Of(Case(unit, i.LineOhm), SourceClass.HighFrequencyInverter)?.RatedW;
        var rule = new RuleLine("", ElectricPower, StartRules.InverterW(unit.RatedPowerW), model);
        return new ResultBuilder()
            .Step("LRA", "Locked-rotor current", "5.2·RLA", $"5.2 × {unit.RlaA}", StartRules.LraA(unit.RlaA), Current, Citations.Trade)
            .Number("plate", "by its plate", unit.LockedRotorA, Current)
            .Step("P", "High-frequency inverter", "2·running watts", $"2 × {unit.RatedPowerW}", rule.Rule, ElectricPower, Citations.Trade)
            .Number("model", "by the model", model ?? 0, ElectricPower)
            .Step("I", "Battery amperes at 12 V", "W/10", $"{unit.RatedPowerW}/10", StartRules.DcA(unit.RatedPowerW, 12), Current, Citations.Trade)
            .Judge(rule.Apart ? Finding.Of(FindingCode.StartRule, Severity.Caution, $"Rule and model are more than half apart.") : null).Done();
    }

    /// <summary>Two units in turn.</summary>
    [Calculator("best-start-order", "Which unit first", "Two units on one inverter",
        CitationIds = [nameof(Citations.MotorModel), nameof(Citations.SurgeCurves)])]
    public static CalculationResult Order(StartOrderInput i)
    {
        UnitToStart Of(string id, string field)
        {
            var unit = Single(id, field);
            if (i.Soft)
                SoftStarter.Check("reduction", unit.LockedRotorA, unit.RlaA, i.Reduction);
            return new UnitToStart(id, StartStation.Motor(unit, 1), new NeighbourLoad("fan", unit.FanPowerW, AcUnit.FanPowerFactor, false),
                i.Soft ? StartRemedy.SoftStarter : StartRemedy.None, i.Reduction);
        }
        var (first, second) = (Of(i.First, "first"), Of(i.Second, "second"));
        var start = Case(Single(i.First, "first"), i.LineOhm);
        var best = StartOrder.Best(start with
        {
            Source = PowerSource.OfInverter(i.HighFrequency ? SourceClass.HighFrequencyInverter : SourceClass.TransformerInverter, start.Source.Volts,
                i.InverterW),
            Neighbours = []
        }, [first, second]);
        return new ResultBuilder()
            .Words("order", "Start", string.Join(", then ", best.Order))
            .Step("Used", "Worst share of what it bears", "largest over the starts, those running as loads", $"{i.InverterW} W", best.WorstUsed, Fraction,
                Citations.SurgeCurves)
            .Judge(best.AllStart
                ? Finding.Of(FindingCode.StartTurns, Severity.Note, $"At least ten seconds apart; after power returns wait three minutes.")
                : Finding.Of(FindingCode.StartNotBoth, Severity.Stop, $"Not both start, in whatever order.")).Done();
    }

    private static AcUnit Single(string id, string field) => UnitCatalogue.Find(id) is { SingleSpeed: true } unit ? unit
        : throw new InputException(field, id,
            $"{field}: \"{id}\" has no locked rotor; take a single-speed unit: "
                + $"{string.Join(", ", UnitCatalogue.All.Where(u => u.SingleSpeed).Select(u => u.Id))}.");

    private static StartCase Case(AcUnit unit, double lineOhm) => new()
    {
        Motor = StartStation.Motor(unit, 1),
        Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, unit.SupplyVoltageV < 150 ? 120 : 230, 1000),
        Line = new Complex(lineOhm, 0),
        Neighbours = [new NeighbourLoad("fan", unit.FanPowerW, AcUnit.FanPowerFactor, false)],
    };
}
