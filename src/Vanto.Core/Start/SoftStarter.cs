namespace Vanto.Core.Start;

/// <summary>A soft starter over its first starts; common practice, no published source.</summary>
public static class SoftStarter
{
    /// <summary>Starts that it takes to learn.</summary>
    public const int LearningStarts = 5;

    /// <summary>Share of the locked-rotor current taken away at a start, growing evenly to what it ends at.</summary>
    /// <param name="first">At its first start.</param>
    /// <param name="final">Once it has learned.</param>
    /// <param name="starts">Starts that it takes, at least 2.</param>
    /// <param name="number">Number of the start, from 1.</param>
    public static double Learned(double first, double final, int starts, int number) =>
        number >= starts ? final : final - (final - first) * (1 - (number - 1) / (starts - 1.0));
}
