using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>Wood that is screwed into, by its specific gravity; NDS 2018, from memory.</summary>
public enum WoodKind { [Called("spruce, pine, fir")] SprucePineFir, [Called("douglas fir")] DouglasFir, [Called("southern pine")] SouthernPine }

/// <summary>Screws in wood: NDS 2018 chapter 12; the figures published there, table entries from memory.</summary>
public static class WoodFastener
{
    private const double NewtonPerPound = 4.4482216152605;

    /// <summary>From an allowable figure to a design strength: 3.32 · 0.65, NDS appendix N, from memory.</summary>
    private const double ToDesign = 2.158;

    /// <summary>Share for loads of minutes to a season.</summary>
    private const double Lasting = 0.8;

    /// <summary>Specific gravity.</summary>
    public static double Gravity(WoodKind wood) => wood switch { WoodKind.DouglasFir => 0.50, WoodKind.SouthernPine => 0.55, _ => 0.42 };

    /// <summary>Withdrawal of a lag screw, lbf for each inch of thread.</summary>
    public static double LagWithdrawal(double gravity, double inch) => 1800 * Math.Pow(gravity, 1.5) * Math.Pow(inch, 0.75);

    /// <summary>Withdrawal of a wood screw, lbf for each inch of thread.</summary>
    public static double ScrewWithdrawal(double gravity, double inch) => 2850 * gravity * gravity * inch;

    /// <summary>Design pull of a lag screw, N.</summary>
    public static double LagPullN(double gravity, double inch, double threadInch) =>
        ToDesign * Lasting * LagWithdrawal(gravity, inch) * threadInch * NewtonPerPound;

    /// <summary>Design shear from an allowable figure, N.</summary>
    public static double ShearN(double allowableLbf) => ToDesign * Lasting * allowableLbf * NewtonPerPound;

    /// <summary>Root of a lag screw, in: NDS, from memory.</summary>
    public static double LagRoot(double inch) => inch switch { <= 0.26 => 0.173, <= 0.32 => 0.227, <= 0.38 => 0.265, _ => 0.371 };

    /// <summary>Bearing of wood at a fastener, psi.</summary>
    public static double BearingPsi(double gravity, double inch, bool across) => inch < 0.25 ? 16600 * Math.Pow(gravity, 1.84)
        : across ? 6100 * Math.Pow(gravity, 1.45) / Math.Sqrt(inch) : 11200 * gravity;

    /// <summary>A fastener in single shear between a side plate and wood, allowable, lbf: the least of six ways of giving way.</summary>
    /// <param name="inch">Nominal diameter.</param>
    /// <param name="rootInch">Root diameter.</param>
    /// <param name="mainInch">Length in the wood.</param>
    /// <param name="sideInch">Thickness of the steel plate.</param>
    /// <param name="gravity">Of the wood.</param>
    /// <param name="across">Force across the grain.</param>
    /// <param name="bendPsi">Bending strength of the fastener.</param>
    /// <returns>The force and which way.</returns>
    public static (double Lbf, string Mode) Lateral(double inch, double rootInch, double mainInch, double sideInch, double gravity, bool across,
        double bendPsi)
    {
        var (d, lm, ls) = (rootInch, mainInch, sideInch);
        var fm = BearingPsi(gravity, inch, across);
        var fs = sideInch >= 0.25 ? 87000 : 61850.0;
        var (re, rt) = (fm / fs, lm / ls);
        var angle = across ? 1.25 : 1.0;
        var kd = rootInch <= 0.17 ? 2.2 : 10 * rootInch + 0.5;
        var (r1, r2, r3) = rootInch >= 0.25 ? (4 * angle, 3.6 * angle, 3.2 * angle)
            : inch >= 0.25 ? (kd * angle, kd * angle, kd * angle) : (kd, kd, kd);
        var k1 = (Math.Sqrt(re + 2 * re * re * (1 + rt + rt * rt) + rt * rt * re * re * re) - re * (1 + rt)) / (1 + re);
        var k2 = -1 + Math.Sqrt(2 * (1 + re) + 2 * bendPsi * (1 + 2 * re) * d * d / (3 * fm * lm * lm));
        var k3 = -1 + Math.Sqrt(2 * (1 + re) / re + 2 * bendPsi * (2 + re) * d * d / (3 * fm * ls * ls));
        (double, string)[] ways =
        [
            (d * lm * fm / r1, "I_m"), (d * ls * fs / r1, "I_s"), (k1 * d * ls * fs / r2, "II"), (k2 * d * lm * fm / ((1 + 2 * re) * r3), "III_m"),
            (k3 * d * ls * fm / ((2 + re) * r3), "III_s"), (d * d / r3 * Math.Sqrt(2 * fm * bendPsi / (3 * (1 + re))), "IV"),
        ];
        return ways.MinBy(w => w.Item1);
    }

    /// <summary>What a fastener bears of a pull and a shear together: Hankinson's form of NDS 12.4.</summary>
    /// <param name="pullBears">In pull alone.</param>
    /// <param name="shearBears">In shear alone.</param>
    /// <param name="pull">Asked.</param>
    /// <param name="shear">Asked.</param>
    public static double Together(double pullBears, double shearBears, double pull, double shear)
    {
        var angle = Math.Atan2(pull, shear);
        var (c, s) = (Math.Cos(angle), Math.Sin(angle));
        return pullBears * shearBears / (pullBears * c * c + shearBears * s * s);
    }
}

/// <summary>Screws in sheet: AISI S100-16 and the Aluminum Design Manual, from memory.</summary>
public static class SheetFastener
{
    private const double Factor = 0.5;
    private const double WidestWasherMm = 19;

    /// <summary>Nominal pull-out of a screw from the sheet away from its head, N; design is half of it.</summary>
    public static double PullOutN(double farMm, double mm, double ultimateMPa) => 0.85 * farMm * mm * ultimateMPa;

    /// <summary>The same in aluminium.</summary>
    public static double AluminiumPullOutN(double farMm, double mm, double yieldMPa) => farMm * mm * yieldMPa;

    /// <summary>Nominal pull of the sheet over head or washer, N.</summary>
    public static double PullOverN(double nearMm, double washerMm, double ultimateMPa) => 1.5 * nearMm * Math.Min(washerMm, WidestWasherMm) * ultimateMPa;

    /// <summary>Nominal shear, N.</summary>
    public static double ShearN(double nearMm, double farMm, double mm, double ultimateMPa)
    {
        var crush = Math.Min(2.7 * nearMm * mm * ultimateMPa, 2.7 * farMm * mm * ultimateMPa);
        var tilt = Math.Min(4.2 * Math.Sqrt(farMm * farMm * farMm * mm) * ultimateMPa, crush);
        var share = Math.Clamp((farMm / nearMm - 1) / 1.5, 0, 1);
        return tilt + share * (crush - tilt);
    }

    /// <summary>Design from nominal.</summary>
    public static double Design(double nominalN) => Factor * nominalN;
}

/// <summary>Bolts in laminate and sandwich: ISO 12215-5 strength from memory; factor 3 on ultimate, product's own choice.</summary>
public static class Laminate
{
    /// <summary>What ultimate figures are divided by.</summary>
    public const double Part = 3;

    /// <summary>Shear of glass laminate, 30 % glass by mass, MPa.</summary>
    public const double ShearMPa = 62;

    /// <summary>Bearing at a bolt, MPa; common practice.</summary>
    public const double BearingMPa = 150;

    /// <summary>Ultimate pull through by the edge of a washer or plate, N.</summary>
    public static double PullThroughN(double edgeMm, double thickMm) => ShearMPa * edgeMm * thickMm;

    /// <summary>Side of a square backing plate that holds a pull, mm; at least five bolts wide.</summary>
    /// <param name="factoredN">Pull with its factor.</param>
    /// <param name="thickMm">Of the laminate.</param>
    /// <param name="boltMm">Of the bolt.</param>
    public static double PlateMm(double factoredN, double thickMm, double boltMm) =>
        Math.Max(factoredN * Part / (4 * ShearMPa * thickMm), 5 * boltMm);

    /// <summary>Pressure on a core under a washer, MPa.</summary>
    public static double CoreMPa(double preloadN, double outerMm, double innerMm) =>
        preloadN / (Math.PI / 4 * (outerMm * outerMm - innerMm * innerMm));
}

/// <summary>What kind of figure an anchor's paper gives.</summary>
public enum AnchorRating { [Called("design")] Design, [Called("recommended")] Recommended, [Called("ultimate")] Ultimate }

/// <summary>Anchors in masonry and concrete: ratings typed for this anchor in this wall; group effects after EN 1992-4, from memory.</summary>
public static class MasonryAnchor
{
    /// <summary>Design strength from what is typed.</summary>
    public static double Design(double typedN, AnchorRating kind) => kind switch
    {
        AnchorRating.Recommended => 1.4 * typedN,
        AnchorRating.Ultimate => 1.4 / 4 * typedN,
        _ => typedN,
    };

    /// <summary>Share that is left by a neighbour.</summary>
    public static double Spacing(double apart, double critical) => apart >= critical ? 1 : (1 + apart / critical) / 2;

    /// <summary>Share that is left by an edge.</summary>
    public static double Edge(double off, double critical) =>
        off >= critical ? 1 : (0.7 + 0.3 * off / critical) * (off + critical) / (2 * critical);

    /// <summary>Used by pull and shear together.</summary>
    public static double Used(double pullShare, double shearShare) => Math.Pow(Math.Max(0, pullShare), 1.5) + Math.Pow(shearShare, 1.5);
}

/// <summary>Bonding tape for light things; 4 square inches for each pound, common practice.</summary>
public static class BondTape
{
    /// <summary>Beyond this nothing hangs on tape, kg.</summary>
    public const double MostKg = 2;

    private const double LastingPa = 1700;

    /// <summary>Area, m².</summary>
    public static double AreaM2(double massKg, double g = 1) => g * massKg * Gravity.Standard / LastingPa;
}
