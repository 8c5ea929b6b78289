using Vanto.Core.Findings;

namespace Vanto.Core.Supply;

public enum GeneratorKind { Inverter, Conventional }

public enum FuelKind { Diesel, PetrolInverter, Petrol, Lpg }

/// <summary>What a generator has left by height and heat, and what it burns; common practice.</summary>
public static class Generators
{
    /// <summary>Share of the label left at an altitude in m and an air temperature in °C.</summary>
    public static double DerateFactor(double altitudeM, double airC) =>
        (1 - 0.035 * Math.Max(0, altitudeM) / 305) * (1 - 0.01 * Math.Max(0, airC - 25) / 5.56);

    /// <summary>Litres an hour at a load in W.</summary>
    public static double FuelLitresPerHour(FuelKind fuel, double ratedW, double loadW)
    {
        var (a, b) = fuel switch
        {
            FuelKind.Diesel => (0.08415, 0.246),
            FuelKind.PetrolInverter => (0.13, 0.48),
            FuelKind.Petrol => (0.25, 0.50),
            _ => (0.35, 0.75),
        };
        return (a * ratedW + b * loadW) / 1000;
    }

    /// <summary>Share left below which it is worth saying; common practice.</summary>
    private const double WorthSaying = 0.93;

    /// <summary>What there is to say of height and heat, or null.</summary>
    /// <param name="left">Share of the label left.</param>
    /// <param name="ratedW">The label.</param>
    public static Finding? JudgeDerate(double left, double ratedW) => left >= WorthSaying ? null
        : Finding.Of(FindingCode.SourceDerate, Severity.Note,
            $"At this height and heat the generator has {left:Fraction} of its label left: {left * ratedW:ElectricPower}.");
}
