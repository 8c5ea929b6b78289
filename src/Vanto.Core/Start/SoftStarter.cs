using Vanto.Core.Findings;

namespace Vanto.Core.Start;

/// <summary>A soft starter over its first starts; common practice, no published source.</summary>
public static class SoftStarter
{
    /// <summary>Its limit must stay so many times above the running current, or it never hands over; common practice.</summary>
    public const double AboveRunning = 1.2;

    /// <summary>True when its limit stays well above the running current.</summary>
    /// <param name="lraA">Locked-rotor current, A.</param>
    /// <param name="rlaA">Running current, A.</param>
    /// <param name="reduction">Share of the locked-rotor current taken away.</param>
    public static bool Fits(double lraA, double rlaA, double reduction) => (1 - reduction) * lraA >= AboveRunning * rlaA;

    /// <summary>Refuses a reduction that leaves less than the compressor needs.</summary>
    /// <param name="field">Field of the reduction.</param>
    /// <param name="lraA">Locked-rotor current, A.</param>
    /// <param name="rlaA">Running current, A.</param>
    /// <param name="reduction">Share of the locked-rotor current taken away.</param>
    /// <exception cref="InputException">The limit is below 1.2 times the running current.</exception>
    public static void Check(string field, double lraA, double rlaA, double reduction)
    {
        if (Fits(lraA, rlaA, reduction))
            return;
        var most = Math.Floor(100 * (1 - AboveRunning * rlaA / lraA)) / 100;
        var which = most >= 0.40 ? Phrase.Of($"at most {most:Fraction} fits this motor") : Phrase.Of($"no soft starter fits this motor");
        throw new InputException(field, Phrase.Of($"{reduction:Fraction}"),
            Phrase.Of(
                $"A reduction of {reduction:Fraction} leaves {(1 - reduction) * lraA:Current}, below 1.2 times the running current of {rlaA:Current}; "
                    + $"{which}."));
    }

    /// <summary>Starts that it takes to learn.</summary>
    public const int LearningStarts = 5;

    /// <summary>What there is to say of its first starts.</summary>
    /// <param name="starts">Starts that it takes to learn.</param>
    public static Finding Learns(int starts) => Finding.Of(FindingCode.StartLearn, Severity.Note,
        $"A soft starter learns: make its first {starts} starts on shore or a large generator; the first on a small source may trip what later ones do not.");

    /// <summary>Share of the locked-rotor current taken away at a start, growing evenly to what it ends at.</summary>
    /// <param name="first">At its first start.</param>
    /// <param name="final">Once it has learned.</param>
    /// <param name="starts">Starts that it takes, at least 2.</param>
    /// <param name="number">Number of the start, from 1.</param>
    public static double Learned(double first, double final, int starts, int number) =>
        number >= starts ? final : final - (final - first) * (1 - (number - 1) / (starts - 1.0));
}
