using Vanto.Core.Findings;

namespace Vanto.Core.Supply;

/// <summary>Whether a bank's main fuse can break its short circuit.</summary>
public static class MainFuse
{
    /// <summary>Bolt-down strip fuses without a stated rating are not trusted above this, A; common practice.</summary>
    private const double UnstatedA = 2000;

    /// <summary>The finding, or null.</summary>
    /// <param name="shortA">Short-circuit current, A.</param>
    /// <param name="interruptsA">Interrupting rating of the fuse, A; null where it states none.</param>
    public static Finding? Judge(double shortA, double? interruptsA) => interruptsA is { } rating
        ? rating < shortA
            ? Found(Severity.Stop, Phrase.Of($"the main fuse interrupts only {rating:Current}: it arcs on. Take a type that breaks it, at the positive post."),
                shortA)
            : null
        : shortA > UnstatedA
            ? Found(Severity.Caution,
                Phrase.Of($"a strip or bolt-down fuse without a stated interrupting rating may not break it. Say what the main fuse interrupts."), shortA)
            : null;

    private static Finding Found(Severity level, Phrase why, double shortA) =>
        Finding.Of(FindingCode.BatteryFuseInterrupt, level, $"A short draws {shortA:Current}; {why}");
}
