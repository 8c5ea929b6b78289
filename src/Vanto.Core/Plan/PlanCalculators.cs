using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Plan;

/// <summary>Inputs of <see cref="PlanCalculators.Estimate"/>.</summary>
public sealed record EstimateInput : DesignPart
{
    [Field(Number, 0, 20160, Label = "At best, minutes")] public double Best { get; init; } = 14;
    [Field(Number, 0, 20160, Label = "likely")] public double Likely { get; init; } = 21;
    [Field(Number, 0, 20160, Label = "at worst")] public double Worst { get; init; } = 36;
    [Field(Number, 0, 40320, Label = "It has run for")] public double Gone { get; init; } = 24;
}

/// <summary>Inputs of <see cref="PlanCalculators.InTime"/>.</summary>
public sealed record InTimeInput : DesignPart
{
    [Field(Number, 0, 20160, Label = "Hands that bind, expected, minutes")] public double HandsMin { get; init; } = 535.333;
    [Field(Number, 0, 1e6, Label = "their variance, min²")] public double HandsVar { get; init; } = 363.028;
    [Field(Number, 0, 20160, Label = "Waits that bind, minutes")] public double WaitsMin { get; init; }
    [Field(Number, 0, 1e6, Label = "their variance, min²")] public double WaitsVar { get; init; }
    [Field(Fraction, 0, 0.5, Label = "Days differ by")] public double DayShare { get; init; } = 0.10;
    [Field(Number, -20160, 20160, Label = "Working minutes until the limit")] public double LimitMin { get; init; } = 585;
}

/// <summary>Inputs of <see cref="PlanCalculators.Packs"/>.</summary>
public sealed record PackInput : DesignPart
{
    [Field(Number, 0, 10000, Label = "Needed")] public double Need { get; init; } = 13.4;
    [Field(Number, 0.1, 1000, Label = "A pack of")] public double SizeA { get; init; } = 5;
    [Field(Number, 0, 100000, Label = "costs")] public double PriceA { get; init; } = 7.2;
    [Field(Number, 0.1, 1000, Label = "or one of")] public double SizeB { get; init; } = 10;
    [Field(Number, 0, 100000, Label = "for")] public double PriceB { get; init; } = 12.5;
}

/// <summary>Inputs of <see cref="PlanCalculators.Nitrogen"/>.</summary>
public sealed record NitrogenInput : DesignPart
{
    [Field(SmallLength, 0.002, 0.03, Label = "Liquid pipe, inside")] public double LiquidM { get; init; } = 0.004826;
    [Field(SmallLength, 0.003, 0.05, Label = "Gas pipe, inside")] public double GasM { get; init; } = 0.0079;
    [Field(Length, 0, 60, Label = "Length")] public double LengthM { get; init; } = 4;
    [Field(SmallVolume, 0, 0.005, Label = "Coil indoors")] public double CoilM3 { get; init; } = 8e-4;
    [Field(SmallVolume, 0, 0.005, Label = "Hoses")] public double HosesM3 { get; init; } = 2e-4;
    [Field(GaugePressure, 1e5, 4.5e6, Label = "Test")] public double TestPa { get; init; } = 2.8e6;
    [Field(GaugePressure, 0, 3e7, Label = "In the bottle")] public double BottlePa { get; init; } = 13.8e6;
    [Field(SmallVolume, 5e-4, 0.05, Label = "Bottle")] public double BottleM3 { get; init; } = 0.010;
    [Field(Temperature, -10, 50, Label = "Air")] public double AirC { get; init; } = 20;
}

/// <summary>Inputs of <see cref="PlanCalculators.Price"/>.</summary>
public sealed record PriceInput : DesignPart
{
    [Field(Number, 0, 1e6, Label = "Materials")] public double Materials { get; init; } = 1534.40;
    [Field(Hours, 0, 1000, Label = "Hours")] public double LabourH { get; init; } = 8.5;
    [Field(Number, 0, 1000, Label = "an hour costs")] public double RateH { get; init; } = 46;
    [Field(Number, 0, 1e6, Label = "Other")] public double Other { get; init; } = 57.40;
    [Field(Fraction, 0, 0.5, Label = "For what is not seen")] public double Contingency { get; init; } = 0.05;
    [Field(Fraction, 0, 0.9, Label = "Margin, of the price")] public double Margin { get; init; } = 0.25;
    [Field(Fraction, 0, 0.3, Label = "Tax")] public double Tax { get; init; } = 0.19;
}

/// <summary>Sums of planning on their own.</summary>
public static class PlanCalculators
{
    private const double Kelvin = 273.15;

    /// <summary>Mean, spread and what is left of a step.</summary>
    [Calculator("three-points", "How long a step takes", "best, likely, worst: what to count on, and what is left of it",
        CitationIds = [nameof(Citations.ThreePoints)])]
    public static CalculationResult Estimate(EstimateInput i)
    {
        if (!(i.Best <= i.Likely && i.Likely <= i.Worst))
            throw new InputException("likely", $"{i.Likely}", "likely stands between best and worst");
        var m = new Minutes(i.Best, i.Likely, i.Worst);
        var (left, over) = ThreePoint.Remaining(m, i.Gone);
        return new ResultBuilder()
            .Step("μ", "Expected, minutes", "(a + 4m + b)/6", $"({i.Best} + 4·{i.Likely} + {i.Worst})/6", ThreePoint.Mean(m), Number, Citations.ThreePoints)
            .Step("σ²", "Its variance, min²", "((b − a)/6)²", $"(({i.Worst} − {i.Best})/6)²", ThreePoint.Variance(m), Number, Citations.ThreePoints)
            .Step("r", "Still to go, minutes", over ? "0.1·e: over its worst" : "E[X | X > e] − e, at least 0.1·e", $"e = {i.Gone}", left, Number,
                Citations.ThreePoints)
            .Done();
    }

    /// <summary>Chance to be done before a limit.</summary>
    [Calculator("done-before-dark", "Done before dark?", "chance that the work ends before a limit", CitationIds = [nameof(Citations.ThreePoints)])]
    public static CalculationResult InTime(InTimeInput i)
    {
        var done = FinishBefore.Of(i.HandsMin, i.HandsVar, i.WaitsMin, i.WaitsVar, i.DayShare, i.LimitMin);
        return new ResultBuilder()
            .Step("μ", "Expected, minutes", "hands + waits", $"{i.HandsMin} + {i.WaitsMin}", done.MeanMin, Number, Citations.ThreePoints)
            .Step("σ", "Spread, minutes", "√(V_h + V_w + (c·hands)²)", $"√({i.HandsVar} + {i.WaitsVar} + ({i.DayShare}·{i.HandsMin})²)",
                done.SpreadMin, Number, Citations.ThreePoints)
            .Step("P", "Done in time", "Φ((D − μ)/σ)", $"D = {i.LimitMin}", done.Chance, Fraction, Citations.ThreePoints)
            .Step("e", "Earlier for four times in five, minutes", "μ + 0.8416·σ − D",
                $"{done.MeanMin:0.#} + 0.8416·{done.SpreadMin:0.#} − {i.LimitMin}", done.EarlierMin(i.LimitMin), Number, Citations.ThreePoints)
            .Done();
    }

    /// <summary>Packs to buy.</summary>
    [Calculator("which-packs", "Which packs", "covers a need at least cost", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Packs(PackInput i)
    {
        const double step = 0.1;
        static double Whole(double size) => Math.Round(size / step) * step;
        var choice = PackCover.Of(i.Need, [new Pack(Whole(i.SizeA), (decimal)i.PriceA), new Pack(Whole(i.SizeB), (decimal)i.PriceB)], step);
        return new ResultBuilder()
            .Step("n_a", "Of the first", "least cost, then fewest, then least left over", $"{i.Need} of {i.SizeA} and {i.SizeB}", choice.Counts[0], Count,
                Citations.Trade)
            .Step("n_b", "Of the second", "the same", $"of {i.SizeB}", choice.Counts[1], Count, Citations.Trade)
            .Step("K", "Cost", "Σ n·price", $"{choice.Counts[0]}·{i.PriceA} + {choice.Counts[1]}·{i.PriceB}", (double)choice.Cost, Number, Citations.Trade)
            .Step("s", "Left over", "bought − need", $"{choice.Bought:0.##} − {i.Need}", choice.Surplus, Number, Citations.Trade)
            .Done();
    }

    /// <summary>Is there enough in the bottle.</summary>
    [Calculator("nitrogen-in-the-bottle", "Enough nitrogen?", "how often the pipes can be filled to test", CitationIds = [nameof(Citations.IdealGas)])]
    public static CalculationResult Nitrogen(NitrogenInput i)
    {
        var n2 = NitrogenSupply.Of(i.LiquidM, i.GasM, i.LengthM, i.CoilM3, i.HosesM3, i.TestPa, i.BottlePa, i.BottleM3, i.AirC + Kelvin);
        return new ResultBuilder()
            .Step("V", "Filled", "π/4·(d₁² + d₂²)·L + coil + hoses", $"{i.LengthM} m", n2.VolumeM3, Volume, Citations.IdealGas)
            .Step("m_t", "One test takes", "p·V/(R·T)·1.5", $"{i.TestPa / 1e6} MPa", n2.TestKg, Mass, Citations.IdealGas)
            .Step("m_u", "The bottle gives", "(p_b − p − 0.5 MPa)·V_b/(R·T)", $"{i.BottlePa / 1e6} MPa", n2.UseKg, Mass, Citations.IdealGas)
            .Step("n", "Tests", "⌊m_u/m_t⌋", $"{n2.UseKg:0.###}/{n2.TestKg:0.###}", n2.Tests, Count, Citations.IdealGas)
            .Done();
    }

    /// <summary>The price of a job.</summary>
    [Calculator("price-of-a-job", "Price of a job", "margin said as margin", CitationIds = [nameof(Citations.Costing)])]
    public static CalculationResult Price(PriceInput i)
    {
        var sum = QuoteSum.Of([(1, (decimal)i.Materials)], [(i.LabourH, (decimal)i.RateH)], [(decimal)i.Other], i.Contingency, i.Margin, 0, i.Tax);
        return new ResultBuilder()
            .Step("K", "Cost", "(materials + hours·rate + other)·(1 + c)", $"({i.Materials} + {i.LabourH}·{i.RateH} + {i.Other})·{1 + i.Contingency}",
                (double)sum.Cost,
                Number, Citations.Costing)
            .Step("N", "Price", "K/(1 − m)", $"{sum.Cost}/(1 − {i.Margin})", (double)sum.Net, Number, Citations.Costing)
            .Step("u", "The same as a mark-up", "m/(1 − m)", $"{i.Margin}/(1 − {i.Margin})", QuoteSum.Markup(i.Margin), Fraction, Citations.Costing)
            .Step("B", "To pay", "N + tax", $"{sum.Net} + {sum.Tax}", (double)sum.Gross, Number, Citations.Costing)
            .Done();
    }
}
