using Vanto.Core.Findings;

namespace Vanto.Core.Energy;

/// <summary>
/// What a lithium iron phosphate bank loses by age alone: a root of its years, faster when it is warm (a doubling each 10 K); common practice, no
/// published source.
/// </summary>
public static class BatteryFade
{
    /// <summary>Share of the capacity at which the hours are printed beside the new ones.</summary>
    public const double Aged = 0.8;

    private const double ShareARootYear = 0.02, AtC = 25, DoublesK = 10;
    private const int SaidYears = 10;

    /// <summary>Share left.</summary>
    /// <param name="years">0 or more.</param>
    /// <param name="celsius">Of the cells, on the mean.</param>
    public static double Left(double years, double celsius) => Math.Max(0, 1 - ShareARootYear * Math.Sqrt(years) * Math.Pow(2, (celsius - AtC) / DoublesK));

    /// <summary>As the owner reads it.</summary>
    public static Phrase Words(double celsius) => Phrase.Of($"By age alone {Left(SaidYears, celsius):Fraction} is left after {SaidYears} years at "
        + $"{celsius:Temperature}; deep nights take more. The smaller hours hold at {Aged:Fraction}.");
}
