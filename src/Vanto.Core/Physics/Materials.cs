namespace Vanto.Core.Physics;

/// <summary>A building material: conductivity W/mK, density kg/m³, specific heat J/kgK.</summary>
public sealed record Material(string Id, string Name, double ConductivityWmK, double DensityKgM3, double SpecificHeatJkgK, bool Insulation = false);

/// <summary>Handbook-typical materials, from memory.</summary>
public static class Materials
{
    public static readonly IReadOnlyList<Material> All =
    [
        new("steel", "steel sheet", 50, 7850, 470), new("stainless", "stainless steel", 16, 7900, 500), new("aluminium", "aluminium sheet", 160, 2700, 900),
        new("grp", "GRP laminate", 0.25, 1700, 1200), new("softwood", "softwood", 0.12, 500, 1600), new("hardwood", "hardwood, teak", 0.17, 700, 1600),
        new("plywood", "plywood", 0.13, 550, 1600), new("osb", "OSB", 0.13, 630, 1700), new("mdf", "MDF", 0.14, 750, 1700),
        new("concrete", "concrete", 1.8, 2300, 900), new("earth", "rammed earth", 1.1, 1900, 850), new("gypsum", "gypsum board", 0.21, 800, 1000),
        new("block-hollow", "hollow concrete block", 1.05, 1150, 880), new("block-solid", "solid concrete block", 1.35, 2000, 880),
        new("brick", "brick", 0.77, 1750, 840), new("render", "cement render", 0.90, 1850, 840), new("tile", "roof tile", 1.0, 2000, 800),
        new("log", "log, along its thickness", 0.13, 500, 1600), new("green-roof", "green roof, moist substrate", 0.60, 1200, 1400),
        new("carpet", "carpet", 0.06, 250, 1300),
        new("vinyl", "vinyl floor", 0.17, 1350, 1000), new("rubber", "rubber mat", 0.17, 1200, 1400), new("acrylic", "acrylic", 0.19, 1180, 1450),
        new("glass", "glass", 1.0, 2500, 840),
        new("xps", "XPS foam board", 0.034, 35, 1400, true), new("eps", "EPS foam board", 0.037, 18, 1400, true),
        new("pir", "PIR board", 0.024, 32, 1400, true),
        new("pu-closed", "PU spray, closed cell", 0.027, 35, 1450, true), new("pu-open", "PU spray, open cell", 0.038, 10, 1450, true),
        new("mineral-wool", "mineral wool", 0.038, 30, 840, true), new("glass-wool", "glass wool", 0.040, 16, 840, true),
        new("sheep-wool", "sheep wool", 0.040, 22, 1700, true),
        new("felt", "cotton or PET felt", 0.040, 28, 1300, true), new("elastomeric", "elastomeric foam", 0.036, 65, 1500, true),
        new("pe-foam", "cross-linked PE foam", 0.040, 33, 2000, true),
        new("cork", "cork", 0.040, 120, 1800, true), new("pvc-core", "PVC foam core", 0.035, 80, 1300), new("balsa", "balsa core", 0.055, 150, 1600),
        new("honeycomb", "PP honeycomb", 0.065, 90, 1700),
    ];

    private static readonly Dictionary<string, Material> ById = All.ToDictionary(m => m.Id);

    /// <summary>The material of that id, or null.</summary>
    public static Material? Find(string id) => ById.GetValueOrDefault(id);
}

/// <summary>One layer from outside to inside: a solid of some thickness, or a gap of some resistance (m²K/W).</summary>
public readonly record struct Layer(Material? Solid, double ThicknessM, double GapResistance)
{
    /// <summary>A solid layer.</summary>
    public static Layer Of(string material, double thicknessM) =>
        new(Materials.Find(material) ?? throw new ArgumentException($"no material {material}"), thicknessM, 0);

    /// <summary>An air gap.</summary>
    public static Layer Gap(double resistance) => new(null, 0, resistance);

    /// <summary>Resistance, m²K/W.</summary>
    public double Resistance => Solid is null ? GapResistance : ThicknessM / Solid.ConductivityWmK;
}

/// <summary>Heat through layers (ISO 6946, from memory).</summary>
public static class Layers
{
    /// <summary>U in W/m²K from layers and the two films' resistances.</summary>
    public static double Transmittance(IEnumerable<Layer> layers, double insideFilm, double outsideFilm) =>
        1 / (outsideFilm + layers.Sum(l => l.Resistance) + insideFilm);

    /// <summary>Inside film resistance in the cooling season by tilt: roof 0.17, wall 0.13, floor 0.10 m²K/W.</summary>
    public static double InsideFilmCooling(double tiltDeg) => tiltDeg < 45 ? 0.17 : tiltDeg <= 135 ? 0.13 : 0.10;
}
