using System.Globalization;

namespace Vanto.Core.Exchange;

/// <summary>
/// A moment that never goes back and orders what depends on each other, whatever the clocks of two laptops say (Kulkarni and others, "Logical physical
/// clocks", OPODIS 2014).
/// </summary>
/// <param name="Ms">Milliseconds since 1970, UTC; the latest that was seen.</param>
/// <param name="Count">Tells apart what happened within one of them.</param>
public readonly record struct HybridTime(long Ms, int Count) : IComparable<HybridTime>
{
    /// <summary>Of something that happens here, after the latest that was seen here or heard of another laptop.</summary>
    /// <param name="now">By the clock of this laptop, ms.</param>
    public HybridTime Next(long now) => now > Ms ? new HybridTime(now, 0) : this with { Count = Count + 1 };

    /// <inheritdoc />
    public int CompareTo(HybridTime other) => (Ms, Count).CompareTo((other.Ms, other.Count));
}

/// <summary>Where in whose log a record was written.</summary>
/// <param name="Time">When, among all laptops.</param>
/// <param name="Device">The laptop: 16 hex digits made by chance once for each store.</param>
/// <param name="Seq">1, 2, 3 … of that laptop in that log, without gaps.</param>
public sealed record EventStamp(HybridTime Time, string Device, long Seq)
{
    private const int DeviceDigits = 16;

    /// <summary>More within one millisecond, or of one laptop in one log, is no stamp that Vanto wrote.</summary>
    private const int MostCount = 1_000_000, MostSeq = 1_000_000_000;

    /// <summary>True for what names a laptop.</summary>
    public static bool IsDevice(string text) => text.Length == DeviceDigits && text.All(char.IsAsciiHexDigitLower);

    /// <summary>As a bundle holds it.</summary>
    public override string ToString() => FormattableString.Invariant($"{Time.Ms}.{Time.Count}.{Device}.{Seq}");

    /// <summary>Of a bundle; nothing where it is none.</summary>
    public static EventStamp? Parse(string? text) => text?.Split('.') is [var ms, var count, var device, var seq] && IsDevice(device)
        && long.TryParse(ms, NumberStyles.None, CultureInfo.InvariantCulture, out var at)
        && int.TryParse(count, NumberStyles.None, CultureInfo.InvariantCulture, out var within) && within <= MostCount
        && long.TryParse(seq, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number is > 0 and <= MostSeq
            ? new EventStamp(new HybridTime(at, within), device, number) : null;
}
