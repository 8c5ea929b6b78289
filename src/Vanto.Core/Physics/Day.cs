namespace Vanto.Core.Physics;

/// <summary>Hours of a day as a person says them.</summary>
public static class Day
{
    /// <summary>Share of an hour 0 to 23 that lies in a span; a span that ends before it begins runs over midnight, equal ends mean all day.</summary>
    public static double Share(int hour, double from, double to)
    {
        if (from == to)
            return 1;
        return from < to ? Overlap(hour, from, to) : Overlap(hour, from, 24) + Overlap(hour, 0, to);
    }

    /// <summary>True when a time of day lies in a span.</summary>
    public static bool Within(double hour, double from, double to) =>
        from == to || (from < to ? hour >= from && hour < to : hour >= from || hour < to);

    /// <summary>Length of a span in hours.</summary>
    public static double Length(double from, double to) => from < to ? to - from : 24 - from + to;

    private static double Overlap(int hour, double from, double to) => Math.Max(0, Math.Min(hour + 1, to) - Math.Max(hour, from));
}
