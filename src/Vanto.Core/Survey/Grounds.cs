namespace Vanto.Core.Survey;

/// <summary>The ground: share of sun thrown back, and kelvin over the air for each W/m² of sun, out in it and in the rig's own shade.</summary>
/// <param name="Albedo">Share of sun thrown back.</param>
/// <param name="SunnyKPerWm2">In the sun.</param>
/// <param name="ShadedKPerWm2">Under the rig.</param>
public readonly record struct Ground(double Albedo, double SunnyKPerWm2, double ShadedKPerWm2)
{
    /// <summary>
    /// The ground of a kind; common practice: asphalt near 65 °C and sand near 60 °C in a sun of 950 W/m² at 35 °C, grass hardly above the air. Water
    /// keeps its own temperature.
    /// </summary>
    public static Ground Of(GroundKind kind) => kind switch
    {
        GroundKind.Grass => new(0.22, 0.010, 0.002),
        GroundKind.Sand => new(0.35, 0.026, 0.006),
        GroundKind.Concrete => new(0.30, 0.020, 0.006),
        GroundKind.Asphalt => new(0.12, 0.032, 0.008),
        GroundKind.Deck => new(0.25, 0.022, 0.004),
        GroundKind.Water => new(0.07, 0, 0),
        _ => new(0.20, 0.022, 0.005),
    };
}

/// <summary>How windows lean where nothing is said of them.</summary>
public static class WindowTilt
{
    /// <summary>Degrees from lying flat; front windows as of the kind of rig, all others upright; common practice.</summary>
    public static double Of(WindowDesign window, RigKind kind) => window.TiltDeg ?? (window.Side, kind) switch
    {
        (Side.Roof, _) => 0,
        (Side.Front, RigKind.Van) => 50,
        (Side.Front, RigKind.Bus) => 80,
        (Side.Front, RigKind.Rv) => 45,
        (Side.Front, RigKind.Boat) => 40,
        _ => 90,
    };
}
