using Vanto.Core.Findings;

namespace Vanto.Core.Unit;

/// <summary>
/// Whether a unit's nominal capacity fits what is needed: 0.90 to 1.15 of it for single-speed units, to 1.30 for those that modulate (ACCA Manual S
/// 2014, from memory); below 0.70 it is no use (common practice).
/// </summary>
public static class SizeBand
{
    /// <summary>Below this share of what is needed a unit is far too small.</summary>
    public const double FarTooSmall = 0.70;

    /// <summary>Share of what is needed at which the band begins.</summary>
    public const double Begins = 0.90;

    /// <summary>A modulating unit that turns down to this share of the mean load does not cycle much.</summary>
    public const double TurnDownShare = 0.4;

    private const double SingleSpeedEnds = 1.15;
    private const double ModulatingEnds = 1.30;

    /// <summary>Share of what is needed at which the band ends.</summary>
    public static double Ends(bool modulating) => modulating ? ModulatingEnds : SingleSpeedEnds;

    /// <summary>How a size stands, and in words; no level where it fits.</summary>
    /// <param name="ratio">Nominal capacity over what is needed.</param>
    /// <param name="modulating">True for a unit that modulates.</param>
    /// <param name="lowestW">Its lowest steady capacity.</param>
    /// <param name="meanLoadW">Mean load of the hours that need cooling.</param>
    public static (Severity? Level, Phrase Words) Judge(double ratio, bool modulating, double lowestW, double meanLoadW) => ratio switch
    {
        < FarTooSmall => (Severity.Stop, Phrase.Of($"far too small: {ratio:Fraction} of what is needed")),
        < Begins => (Severity.Caution, Phrase.Of($"short in the hottest hours: {ratio:Fraction} of what is needed")),
        _ when ratio <= Ends(modulating) => (null, Phrase.Of($"within its band: {ratio:Fraction} of what is needed")),
        _ when !modulating => (Severity.Caution, Phrase.Of($"too large: {ratio:Fraction} of what is needed, cycles and leaves the air damp")),
        _ when lowestW <= TurnDownShare * meanLoadW => (Severity.Note, Phrase.Of($"large, but turns down to {lowestW:Power}")),
        _ => (Severity.Caution, Phrase.Of($"too large: cannot turn down below {lowestW:Power}")),
    };

    /// <summary>The finding on a size, or null where it fits.</summary>
    /// <param name="name">What the unit is called.</param>
    /// <param name="ratio">Nominal capacity over what is needed.</param>
    /// <param name="level">Its level.</param>
    /// <param name="words">How it stands.</param>
    public static Finding? Finding(string name, double ratio, Severity? level, Phrase words) =>
        level is { } weight ? Findings.Finding.Of(ratio < Begins ? FindingCode.CapSmall : FindingCode.CapLarge, weight, $"{name} is {words}.") : null;

    /// <summary>Minutes from soaked to cool that are too many to wait for.</summary>
    private const double LongPullDownMinutes = 120;

    /// <summary>What there is to say of a pull-down, or null.</summary>
    /// <param name="startC">Air where it begins.</param>
    /// <param name="minutes">Minutes to the set-point; null where it is not reached in six hours.</param>
    /// <param name="massC">Contents when it is reached.</param>
    public static Finding? PullDown(double startC, double? minutes, double massC) => minutes is <= LongPullDownMinutes ? null
        : Findings.Finding.Of(FindingCode.CapPullDown, minutes is null ? Severity.Stop : Severity.Caution, minutes is { } late
            ? Phrase.Of(
                $"From {startC:Temperature} it takes {late / 60:Hours} to the set-point, and the contents still stand at {massC:Temperature}. Start it "
                    + $"before you come.")
            : Phrase.Of($"Closed up at {startC:Temperature} it does not come down to the set-point in six hours."));

    /// <summary>Relative humidity at which a room is damp, and at which it is near it, %; common practice.</summary>
    public const double DampPct = 60, NearDampPct = 55;

    /// <summary>What there is to say of the humidity a room settles at, or null.</summary>
    /// <param name="room">The room and when, as a sentence begins with it.</param>
    /// <param name="humidityPct">Where it settles.</param>
    public static Finding? Damp(string room, double humidityPct) => humidityPct <= NearDampPct ? null
        : Findings.Finding.Of(FindingCode.AirDamp, humidityPct > DampPct ? Severity.Caution : Severity.Note,
            $"{room} settles at {humidityPct:Percent} humidity{(humidityPct > DampPct ? ": damp, mould follows" : "")}.");
}
