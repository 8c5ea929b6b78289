using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>A rectangle of a section, mm from any origin; −1 takes away.</summary>
public sealed record SectionBox(double X, double Y, double B, double H, int Sign = 1);

/// <summary>What a profile's section does against bending and buckling; mm throughout.</summary>
/// <param name="AreaMm2">Area.</param>
/// <param name="IxMm4">Second moment about the level axis.</param>
/// <param name="IyMm4">About the upright axis.</param>
/// <param name="SxMm3">Section modulus about the level axis.</param>
/// <param name="SyMm3">About the upright axis.</param>
/// <param name="RMinMm">Least radius of gyration.</param>
public sealed record Section(double AreaMm2, double IxMm4, double IyMm4, double SxMm3, double SyMm3, double RMinMm)
{
    /// <summary>From signed rectangles; statics.</summary>
    public static Section OfBoxes(params IReadOnlyList<SectionBox> boxes)
    {
        var area = boxes.Sum(b => b.Sign * b.B * b.H);
        var (cx, cy) = (boxes.Sum(b => b.Sign * b.B * b.H * (b.X + b.B / 2)) / area, boxes.Sum(b => b.Sign * b.B * b.H * (b.Y + b.H / 2)) / area);
        double ix = 0, iy = 0, ixy = 0, up = 0, wide = 0;
        foreach (var b in boxes)
        {
            var (a, dx, dy) = (b.Sign * b.B * b.H, b.X + b.B / 2 - cx, b.Y + b.H / 2 - cy);
            ix += b.Sign * b.B * b.H * b.H * b.H / 12 + a * dy * dy;
            iy += b.Sign * b.H * b.B * b.B * b.B / 12 + a * dx * dx;
            ixy += a * dx * dy;
            if (b.Sign < 0)
                continue;
            up = Math.Max(up, Math.Max(b.Y + b.H - cy, cy - b.Y));
            wide = Math.Max(wide, Math.Max(b.X + b.B - cx, cx - b.X));
        }
        var least = (ix + iy) / 2 - Math.Sqrt((ix - iy) * (ix - iy) / 4 + ixy * ixy);
        return new Section(area, ix, iy, ix / up, iy / wide, Math.Sqrt(Math.Max(0, least) / area));
    }

    /// <summary>A flat bar, <paramref name="b"/> wide and <paramref name="h"/> high.</summary>
    public static Section Flat(double b, double h) => OfBoxes(new SectionBox(0, 0, b, h));

    /// <summary>An angle of equal legs, its corners sharp.</summary>
    public static Section Angle(double leg, double t) => OfBoxes(new SectionBox(0, 0, leg, t), new SectionBox(0, t, t, leg - t));

    /// <summary>A square or rectangular tube with sharp corners.</summary>
    public static Section SharpTube(double b, double h, double t) =>
        OfBoxes(new SectionBox(0, 0, b, h), new SectionBox(t, t, b - 2 * t, h - 2 * t, -1));

    /// <summary>A cold-formed square tube with round corners: EN 10219-2:2006, annex B.</summary>
    public static Section Tube(double h, double t)
    {
        var (outer, inner) = t <= 6 ? (2 * t, t) : t <= 10 ? (2.5 * t, 1.5 * t) : (3 * t, 2 * t);
        var area = 2 * t * (h + h - 2 * t) - (4 - Math.PI) * (outer * outer - inner * inner);
        var i = Math.Pow(h, 4) / 12 - Math.Pow(h - 2 * t, 4) / 12 - 4 * Corner(outer, h / 2) + 4 * Corner(inner, (h - 2 * t) / 2);
        return new Section(area, i, i, i / (h / 2), i / (h / 2), Math.Sqrt(i / area));
    }

    /// <summary>What a rounded corner lacks of a square one, about the middle.</summary>
    private static double Corner(double r, double half)
    {
        var k = 12 - 3 * Math.PI;
        var area = (1 - Math.PI / 4) * r * r;
        var arm = half - r * (10 - 3 * Math.PI) / k;
        return (1.0 / 3 - Math.PI / 16 - 1 / (3 * k)) * Math.Pow(r, 4) + area * arm * arm;
    }

    /// <summary>A lipped channel for clamping nuts: back, two flanges, lips in and down, a slot in its back where it has one.</summary>
    public static Section Channel(double wide, double high, double t, double lip, double opening, double slot)
    {
        var inwards = (wide - opening) / 2;
        List<SectionBox> boxes =
        [
            new(0, 0, wide, t), new(0, t, t, high - 2 * t), new(wide - t, t, t, high - 2 * t),
            new(0, high - t, inwards, t), new(wide - inwards, high - t, inwards, t),
            new(inwards - t, high - lip, t, lip - t), new(wide - inwards, high - lip, t, lip - t),
        ];
        if (slot > 0)
            boxes.Add(new SectionBox((wide - slot) / 2, 0, slot, t, -1));
        return OfBoxes(boxes);
    }

    /// <summary>As rolled: sharp corners taken off a channel's figures; common practice, checked against a catalogue from memory.</summary>
    public Section Rolled() => this with
    {
        AreaMm2 = 0.95 * AreaMm2,
        IxMm4 = 0.90 * IxMm4,
        IyMm4 = 0.90 * IyMm4,
        SxMm3 = 0.88 * SxMm3,
        SyMm3 = 0.88 * SyMm3,
    };
}

/// <summary>Profiles that are sold, the lightest first.</summary>
public enum Profile
{
    [Called("flat 40 × 6 on edge")] Flat40, [Called("tube 20 × 20 × 2")] Tube20, [Called("angle 30 × 30 × 3")] Angle30,
    [Called("tube 25 × 25 × 2")] Tube25, [Called("channel 41 × 21 slotted")] Channel21, [Called("angle 40 × 40 × 4")] Angle40,
    [Called("tube 30 × 30 × 3")] Tube30, [Called("channel 41 × 41 slotted")] Channel41, [Called("flat 50 × 8 on edge")] Flat50,
    [Called("tube 40 × 40 × 3")] Tube40, [Called("angle 50 × 50 × 5")] Angle50, [Called("tube 50 × 50 × 3")] Tube50,
    [Called("tube 50 × 50 × 5")] Tube50Heavy,
}

/// <summary>A profile with its section, its outer size and its wall, mm.</summary>
public sealed record ProfileFigures(Section Section, double HighMm, double WideMm, double WallMm, bool Closed)
{
    private static readonly Dictionary<Profile, ProfileFigures> All = new()
    {
        [Profile.Flat40] = new(Section.Flat(6, 40), 40, 6, 6, false),
        [Profile.Tube20] = new(Section.Tube(20, 2), 20, 20, 2, true),
        [Profile.Angle30] = new(Section.Angle(30, 3), 30, 30, 3, false),
        [Profile.Tube25] = new(Section.Tube(25, 2), 25, 25, 2, true),
        [Profile.Channel21] = new(Section.Channel(41.3, 20.6, 2.5, 7.1, 22.2, 14).Rolled(), 20.6, 41.3, 2.5, false),
        [Profile.Angle40] = new(Section.Angle(40, 4), 40, 40, 4, false),
        [Profile.Tube30] = new(Section.Tube(30, 3), 30, 30, 3, true),
        [Profile.Channel41] = new(Section.Channel(41.3, 41.3, 2.5, 7.1, 22.2, 14).Rolled(), 41.3, 41.3, 2.5, false),
        [Profile.Flat50] = new(Section.Flat(8, 50), 50, 8, 8, false),
        [Profile.Tube40] = new(Section.Tube(40, 3), 40, 40, 3, true),
        [Profile.Angle50] = new(Section.Angle(50, 5), 50, 50, 5, false),
        [Profile.Tube50] = new(Section.Tube(50, 3), 50, 50, 3, true),
        [Profile.Tube50Heavy] = new(Section.Tube(50, 5), 50, 50, 5, true),
    };

    /// <summary>Of a profile.</summary>
    public static ProfileFigures Of(Profile profile) => All[profile];
}

/// <summary>Metals that mounts are made of.</summary>
public enum MountMetal
{
    [Called("mild steel")] Steel, [Called("stainless steel")] Stainless, [Called("aluminium 6061-T6")] Aluminium6061,
    [Called("aluminium 5083")] Aluminium5083,
}

/// <summary>Strength of a metal.</summary>
/// <param name="ElasticGPa">Young's modulus.</param>
/// <param name="YieldMPa">Yield.</param>
/// <param name="UltimateMPa">Ultimate.</param>
/// <param name="WeldedYieldMPa">Yield beside a weld.</param>
/// <param name="WeldedUltimateMPa">Ultimate beside a weld.</param>
/// <param name="DensityKgM3">Density.</param>
/// <param name="FusedBeta">Correlation of a fillet weld, EN 1993-1-8 table 4.1; 1 for aluminium, from memory.</param>
public sealed record MetalFigures(double ElasticGPa, double YieldMPa, double UltimateMPa, double WeldedYieldMPa, double WeldedUltimateMPa,
    double DensityKgM3, double FusedBeta)
{
    /// <summary>EN 10025 and ASTM A240 published; aluminium ASTM B221, EN 485 and EN 1999 from memory.</summary>
    public static MetalFigures Of(MountMetal metal) => metal switch
    {
        MountMetal.Stainless => new(193, 205, 515, 205, 515, 7900, 1),
        MountMetal.Aluminium6061 => new(68.9, 240, 260, 105, 165, 2700, 1),
        MountMetal.Aluminium5083 => new(71, 215, 305, 125, 275, 2660, 1),
        _ => new(210, 235, 360, 235, 360, 7850, 0.80),
    };
}
