namespace Vanto.Core.Install;

/// <summary>
/// A clock that never goes back and keeps what caused what in order over devices whose clocks differ: Kulkarni and others, Logical Physical Clocks,
/// OPODIS 2014, from memory.
/// </summary>
/// <param name="L">Greatest time seen, ms.</param>
/// <param name="C">Counts events of the same time.</param>
public readonly record struct HybridClock(long L, long C) : IComparable<HybridClock>
{
    /// <summary>The next event of this device at its own time.</summary>
    public HybridClock Local(long now) => now > L ? new(now, 0) : new(L, C + 1);

    /// <summary>After another device's event was seen.</summary>
    public HybridClock Merged(HybridClock other, long now)
    {
        var l = Math.Max(Math.Max(L, other.L), now);
        return new HybridClock(l, l == L && l == other.L ? Math.Max(C, other.C) + 1 : l == L ? C + 1 : l == other.L ? other.C + 1 : 0);
    }

    /// <inheritdoc />
    public int CompareTo(HybridClock other) => (L, C).CompareTo((other.L, other.C));
}

/// <summary>How far a device's clock is off; RFC 5905.</summary>
/// <param name="OffsetS">Add it to the device's time.</param>
/// <param name="DelayS">Of the way there and back.</param>
public readonly record struct ClockSkew(double OffsetS, double DelayS)
{
    /// <summary>From here on readings of two devices are shown with it, s.</summary>
    public const double CautionS = 60;

    /// <summary>From four times: sent, received there, answered there, received here.</summary>
    public static ClockSkew Of(double t1, double t2, double t3, double t4) => new((t2 - t1 + (t3 - t4)) / 2, t4 - t1 - (t3 - t2));
}
