using Vanto.Core.Findings;

namespace Vanto.Core.Physics;

/// <summary>Air through doors, and whether there is enough of it to breathe and to burn.</summary>
public static class AirExchange
{
    /// <summary>Buoyant flow through an open door, m³/s, and the volume changed in one opening, m³ (coefficient form, from memory).</summary>
    public static (double FlowM3s, double ChangedM3) Door(double volumeM3, double widthM, double heightM, double insideC, double outsideC, double seconds)
    {
        var mean = (insideC + outsideC) / 2 + 273.15;
        var flow = 0.6 / 3 * widthM * heightM * Math.Sqrt(9.80665 * heightM * Math.Abs(outsideC - insideC) / mean);
        return (flow, volumeM3 * (1 - Math.Exp(-flow * seconds / volumeM3)));
    }

    /// <summary>Air through an open gap of a low building, m³/s: stack and wind of the ASHRAE basic leakage model, little sheltered, from memory.</summary>
    /// <param name="areaM2">Open area.</param>
    /// <param name="differenceK">Between indoors and outdoors.</param>
    /// <param name="windMs">Wind.</param>
    public static double GapM3s(double areaM2, double differenceK, double windMs)
    {
        const double stack = 0.000145, wind = 0.000246, squareCentimetres = 1e4, litres = 1e-3;
        return litres * squareCentimetres * areaM2 * Math.Sqrt(stack * Math.Abs(differenceK) + wind * windMs * windMs);
    }

    /// <summary>Steady carbon dioxide, ppm: 0.0052 L/s a seated adult, 0.0036 asleep (from memory).</summary>
    public static double CarbonDioxidePpm(double awake, double asleep, double freshLs) => 420 + (awake * 0.0052 + asleep * 0.0036) / freshLs * 1e6;

    /// <summary>Outdoor air that an unvented flame needs at least, L/s; common practice.</summary>
    public static double FlameAirLs(double flameW) => 10 * flameW / 1000;

    /// <summary>Heat of an animal, W, two thirds sensible (ASHRAE ch. 10 form, from memory).</summary>
    public static double AnimalW(double massKg) => 8.75 * Math.Pow(massKg, 0.75);

    /// <summary>Share of propane's heat that comes as moisture.</summary>
    public const double PropaneLatent = 1.634 * 2.45 / 50.35;

    /// <summary>Carbon dioxide that still counts as fresh, that dulls, and the usual workplace limit, ppm; common practice.</summary>
    private const double FreshPpm = 1200, StuffyPpm = 2000, WorkplacePpm = 5000;

    /// <summary>What there is to say of the air to breathe, or null.</summary>
    /// <param name="ppm">Where carbon dioxide settles.</param>
    /// <param name="freshM3s">Outdoor air that comes in.</param>
    public static Finding? JudgeBreath(double ppm, double freshM3s) => ppm <= FreshPpm ? null
        : Finding.Of(FindingCode.AirBreath, ppm > WorkplacePpm ? Severity.Stop : ppm > StuffyPpm ? Severity.Caution : Severity.Note,
            $"The air settles at {ppm:Count} ppm of carbon dioxide with {freshM3s:AirFlow} of fresh air; below 1,200 is fresh, above 5,000 is past the "
                + $"workplace limit.");

    /// <summary>What there is to say of an unvented flame, or null.</summary>
    /// <param name="flameW">The flame.</param>
    /// <param name="freshM3s">Outdoor air that comes in.</param>
    public static Finding? JudgeFlame(double flameW, double freshM3s) => flameW <= 0 || freshM3s >= FlameAirLs(flameW) / 1000 ? null
        : Finding.Of(FindingCode.AirFlame, Severity.Stop,
            $"An unvented flame of {flameW:Power} needs {FlameAirLs(flameW) / 1000:AirFlow} of outdoor air; {freshM3s:AirFlow} come in. Carbon monoxide "
                + $"kills: open a vent, fit and try an alarm.");
}
