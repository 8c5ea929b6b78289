using Vanto.Core.Physics;

namespace Vanto.Core.Survey;

/// <summary>A way of building a skin: what is outside, what lines it inside and what its ribs add (W/m²K).</summary>
public sealed record SkinPreset(string Id, string Name, IReadOnlyList<Layer> Outside, IReadOnlyList<Layer> Inside, double RibsWm2K, double RibsWithBreakWm2K);

/// <summary>A paint with the share of sun it takes up.</summary>
public sealed record Paint(string Id, string Name, double Absorptance);

/// <summary>A glazing: U, share of sun let through at right angles.</summary>
public sealed record Glazing(string Id, string Name, double U, double Shgc, bool DoublePane);

/// <summary>A shade or cover: shares of sun let through inside and outside, added resistance.</summary>
public sealed record WindowCover(string Id, string Name, double Interior, double Exterior, double Resistance);

/// <summary>What the survey can be built from. Skins and covers are common practice; paints and glazings handbook-typical, from memory.</summary>
public static class SurveyCatalogue
{
    /// <summary>Builds of walls, roofs and floors.</summary>
    public static readonly IReadOnlyList<SkinPreset> Skins =
    [
        new("van-steel", "steel van side, ply lining", [Layer.Of("steel", 0.0009)], [Layer.Of("plywood", 0.006)], 0.55, 0.20),
        new("van-floor", "van floor, ply and vinyl", [Layer.Of("steel", 0.0009)], [Layer.Of("plywood", 0.012), Layer.Of("vinyl", 0.003)], 0.30, 0.15),
        new("bus-steel", "steel bus body, ply lining", [Layer.Of("steel", 0.0012)], [Layer.Of("plywood", 0.009)], 0.45, 0.20),
        new("bus-floor", "bus floor, ply and vinyl", [Layer.Of("steel", 0.0012)], [Layer.Of("plywood", 0.015), Layer.Of("vinyl", 0.003)], 0.25, 0.15),
        new("rv-sandwich", "aluminium sandwich", [Layer.Of("aluminium", 0.0008)], [Layer.Of("plywood", 0.003)], 0.25, 0.10),
        new("grp-sandwich", "GRP with balsa core and headliner", [Layer.Of("grp", 0.006), Layer.Of("balsa", 0.019), Layer.Of("grp", 0.004), Layer.Gap(0.13)],
            [Layer.Of("plywood", 0.006)], 0, 0),
        new("grp-solid", "solid GRP with lining", [Layer.Of("grp", 0.010), Layer.Gap(0.15)], [Layer.Of("plywood", 0.006)], 0, 0),
        new("hull", "solid GRP hull with sole", [Layer.Of("grp", 0.014), Layer.Gap(0.17)], [Layer.Of("plywood", 0.012)], 0, 0),
        new("timber", "timber frame, gypsum lining", [Layer.Of("softwood", 0.022)], [Layer.Of("gypsum", 0.0125)], 0.073, 0.04),
        new("timber-floor", "timber floor", [Layer.Of("osb", 0.012)], [Layer.Of("softwood", 0.022)], 0.06, 0.03),
        new("earth", "earth wall, bare inside", [], [Layer.Of("earth", 0.35)], 0, 0),
        new("container", "steel container, ply lining", [Layer.Of("steel", 0.002)], [Layer.Of("plywood", 0.012)], 0.32, 0.15),
        new("slab", "concrete slab", [], [Layer.Of("concrete", 0.12)], 0, 0),
        new("block-hollow", "hollow block, rendered", [Layer.Of("render", 0.015), Layer.Of("block-hollow", 0.20)], [Layer.Of("render", 0.012)], 0, 0),
        new("block-solid", "solid block, rendered", [Layer.Of("render", 0.015), Layer.Of("block-solid", 0.20)], [Layer.Of("render", 0.012)], 0, 0),
        new("brick-veneer", "brick veneer on timber frame", [Layer.Of("brick", 0.10), Layer.Gap(0.18), Layer.Of("osb", 0.011)],
            [Layer.Of("gypsum", 0.0125)], 0.073, 0.04),
        new("rendered-frame", "rendered timber frame", [Layer.Of("render", 0.020), Layer.Of("osb", 0.011)], [Layer.Of("gypsum", 0.0125)], 0.073, 0.04),
        new("log", "log wall", [Layer.Of("log", 0.18)], [], 0, 0),
        new("sandwich-panel", "steel sandwich panel", [Layer.Of("steel", 0.0005)], [Layer.Of("steel", 0.0005)], 0.02, 0.02),
        new("corrugated", "corrugated steel, bare or sprayed", [Layer.Of("steel", 0.0006)], [], 0.15, 0.15),
        new("tiled-roof", "tiled roof, lined", [Layer.Of("tile", 0.015), Layer.Gap(0.15), Layer.Of("osb", 0.011)], [Layer.Of("gypsum", 0.0125)], 0.06, 0.03),
        new("green-roof", "green roof on concrete", [Layer.Of("green-roof", 0.10)], [Layer.Of("concrete", 0.15)], 0, 0),
        new("ceiling", "gypsum ceiling, insulation on it", [], [Layer.Of("gypsum", 0.0125)], 0.06, 0.06),
    ];

    /// <summary>Paints and finishes.</summary>
    public static readonly IReadOnlyList<Paint> Paints =
    [
        new("roof-coat", "white roof coat, new", 0.15), new("white", "white", 0.25), new("white-aged", "white, aged", 0.33), new("cream", "cream", 0.40),
        new("silver", "silver", 0.45),
        new("light-grey", "light grey", 0.50), new("tan", "tan", 0.55), new("mid-grey", "mid grey or red", 0.65), new("mid-green", "mid blue or green", 0.72),
        new("dark-green", "dark green", 0.85), new("dark-blue", "dark blue", 0.85), new("black", "black", 0.95), new("gelcoat", "white gelcoat", 0.25),
        new("teak", "teak", 0.60), new("earth", "bare earth", 0.70),
    ];

    public static readonly IReadOnlyList<Glazing> Glazings =
    [
        new("single", "single clear", 5.8, 0.82, false), new("windscreen", "laminated windscreen", 5.8, 0.73, false),
        new("tinted", "single, tinted", 5.8, 0.60, false), new("privacy", "single, dark privacy glass", 5.8, 0.45, false),
        new("double", "double clear", 2.8, 0.72, true), new("double-low-e", "double, low-e", 1.8, 0.40, true),
        new("acrylic-double", "acrylic double (RV window)", 3.0, 0.70, true),
        new("hatch-single", "acrylic hatch, single", 5.4, 0.80, false), new("hatch-double", "acrylic hatch, double", 3.5, 0.70, true),
        new("vinyl", "clear vinyl curtain", 5.9, 0.85, false),
    ];

    /// <summary>Shades and covers.</summary>
    public static readonly IReadOnlyList<WindowCover> Covers =
    [
        new("none", "none", 1, 1, 0), new("light-curtain", "light curtain", 0.65, 1, 0.05), new("dark-curtain", "dark curtain", 0.80, 1, 0.05),
        new("bubble", "reflective bubble screen inside", 0.45, 1, 0.15),
        new("quilted", "quilted insulated cover, tight", 0.25, 1, 0.50), new("mesh", "mesh screen outside", 1, 0.45, 0),
        new("opaque", "opaque cover outside", 1, 0.10, 0.10),
    ];
}
