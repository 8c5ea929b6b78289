using Vanto.Core.Findings;

namespace Vanto.Core.Physics;

/// <summary>Whether a bank's main fuse can break its short circuit.</summary>
public static class MainFuse
{
    /// <summary>Bolt-down strip fuses without a stated rating are not trusted above this, A; common practice.</summary>
    private const double UnstatedA = 2000;

    /// <summary>The finding, or null.</summary>
    /// <param name="shortA">Short-circuit current, A.</param>
    /// <param name="interruptsA">Interrupting rating of the fuse, A; null where it states none.</param>
    public static Finding? Judge(double shortA, double? interruptsA) => interruptsA switch
    {
        { } rating when rating < shortA => Finding.Of("battery.fuse-interrupt", Severity.Stop, $"A short draws {shortA:Current}; the main fuse interrupts only {rating:Current}: it arcs on. Take a type that breaks it, at the positive post."),
        null when shortA > UnstatedA => Finding.Of("battery.fuse-interrupt", Severity.Caution, $"A short draws {shortA:Current}. A strip or bolt-down fuse without a stated interrupting rating may not break it; say what the main fuse interrupts."),
        _ => null,
    };
}
