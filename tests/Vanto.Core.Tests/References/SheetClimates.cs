using Vanto.Core.Physics;

namespace Vanto.Core.Tests.References;

/// <summary>Invented climates of the three check spaces.</summary>
internal static class SheetClimates
{
    public static readonly WeatherPlace VanPlace = new("dry", 34.2, -114.0, -7, 250);
    public static readonly WeatherPlace BusPlace = new("humid", 30.2, -92.5, -6, 12);
    public static readonly WeatherPlace BoatPlace = new("tropic", 17.9, -62.6, -4, 0);

    public static readonly IReadOnlyList<MonthClimate> Van = Months(
        [17, 19, 23, 27, 33, 38, 40, 39, 35, 29, 22, 17], [5, 7, 10, 14, 18, 23, 27, 26, 22, 16, 9, 5],
        [.62, .65, .68, .71, .73, .74, .70, .69, .70, .68, .64, .60], [45, 40, 33, 25, 20, 16, 28, 32, 28, 28, 36, 45], 3.0);

    public static readonly IReadOnlyList<MonthClimate> Bus = Months(
        [16, 18, 22, 26, 29, 32, 33, 33, 30.5, 26, 21, 17], [6, 8, 12, 15, 20, 23, 24, 24, 21, 15, 10, 7],
        [.46, .49, .51, .53, .54, .54, .51, .52, .53, .56, .51, .46], [75, 73, 72, 72, 74, 76, 78, 78, 77, 74, 75, 76], 3.5);

    public static readonly IReadOnlyList<MonthClimate> Boat = Months(
        [28, 28, 28.5, 29, 30, 30.5, 31, 31, 31, 30.5, 29.5, 28.5], [23.5, 23.5, 23.5, 24, 25, 26, 26, 26, 26, 25.5, 25, 24],
        [.56, .58, .60, .60, .58, .58, .59, .58, .56, .55, .54, .54], [74, 73, 72, 73, 76, 76, 76, 77, 78, 78, 77, 76], 6.0);

    private static MonthClimate[] Months(double[] max, double[] min, double[] clearness, double[] humidity, double wind) =>
        [.. Enumerable.Range(0, 12).Select(
            m => new MonthClimate { MaxC = max[m], MinC = min[m], Clearness = clearness[m], HumidityPct = humidity[m], WindMs = wind })];
}
