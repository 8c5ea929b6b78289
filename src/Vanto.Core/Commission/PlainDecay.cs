using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>What two vacuum readings ten minutes apart say.</summary>
public enum DecayVerdict
{
    [Called("dry and tight by the plain rule")] Passed,
    [Called("start too high")] StartTooHigh,
    [Called("reading error")] ReadingError,
    [Called("rises")] Rises,
    [Called("leak or wet")] LeakOrWet,
}

/// <summary>Plain ten-minute rule for two vacuum readings taken by hand; common practice, no published source.</summary>
public static class PlainDecay
{
    /// <summary>A pump shut off above this is shut off too early.</summary>
    public const double StartMicron = 500;

    /// <summary>Most after ten minutes of what is dry and tight.</summary>
    public const double PassMicron = 1000;

    /// <summary>Above this after ten minutes it leaks or is wet; between, moisture or a small leak.</summary>
    public const double LeakMicron = 2000;

    /// <summary>Share of the first reading below which the second cannot have fallen by itself.</summary>
    private const double FallsTo = 0.9;

    /// <summary>Judges two readings.</summary>
    /// <param name="startMicron">When the pump was shut off.</param>
    /// <param name="afterMicron">Ten minutes later.</param>
    public static DecayVerdict Of(double startMicron, double afterMicron) =>
        startMicron > StartMicron ? DecayVerdict.StartTooHigh
        : afterMicron < FallsTo * startMicron ? DecayVerdict.ReadingError
        : afterMicron <= PassMicron ? DecayVerdict.Passed
        : afterMicron <= LeakMicron ? DecayVerdict.Rises
        : DecayVerdict.LeakOrWet;

    /// <summary>How much a verdict weighs; null where it passes.</summary>
    public static Severity? Level(DecayVerdict verdict) => verdict switch
    {
        DecayVerdict.Passed => null,
        DecayVerdict.LeakOrWet => Severity.Stop,
        _ => Severity.Caution,
    };

    /// <summary>The verdict in a sentence.</summary>
    /// <param name="verdict">The verdict.</param>
    /// <param name="startMicron">When the pump was shut off.</param>
    /// <param name="afterMicron">Ten minutes later.</param>
    public static Phrase Words(DecayVerdict verdict, double startMicron, double afterMicron) => verdict switch
    {
        DecayVerdict.StartTooHigh => Phrase.Of($"The pump was shut off at {startMicron:Count} micron: too early to judge. Pump on."),
        DecayVerdict.ReadingError => Phrase.Of($"The vacuum cannot get deeper by itself: read again."),
        DecayVerdict.Rises => Phrase.Of($"It rises to {afterMicron:Count} micron: moisture or a small leak. Pump on, or log the curve."),
        DecayVerdict.LeakOrWet => Phrase.Of($"It rises to {afterMicron:Count} micron: a leak or water. Do not open the valves."),
        _ => Phrase.Of($"Dry and tight by the plain rule."),
    };
}
