using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>Metric bolts.</summary>
public enum BoltSize
{
    [Called("M5")] M5, [Called("M6")] M6, [Called("M8")] M8, [Called("M10")] M10, [Called("M12")] M12, [Called("M16")] M16,
}

/// <summary>Strength class of a bolt.</summary>
public enum BoltClass { [Called("4.6")] C46, [Called("8.8")] C88, [Called("10.9")] C109, [Called("A2-70")] A270, [Called("A4-80")] A480 }

/// <summary>How its threads are, for the torque.</summary>
public enum ThreadFinish { [Called("as received")] Dry, [Called("lightly oiled")] Oiled, [Called("anti-seize")] Paste }

/// <summary>Bolts: sizes, strength, torque. EN 1993-1-8 table 3.4 published; ISO 898-1 and ISO 3506-1 from memory.</summary>
public static class Bolt
{
    /// <summary>γ_M2 of EN 1993-1-8.</summary>
    public const double Part = 1.25;

    /// <summary>Diameter, mm.</summary>
    public static double Mm(BoltSize size) => size switch
    {
        BoltSize.M5 => 5,
        BoltSize.M6 => 6,
        BoltSize.M8 => 8,
        BoltSize.M10 => 10,
        BoltSize.M12 => 12,
        _ => 16,
    };

    /// <summary>Pitch, mm: ISO 724.</summary>
    public static double PitchMm(BoltSize size) => size switch
    {
        BoltSize.M5 => 0.8,
        BoltSize.M6 => 1,
        BoltSize.M8 => 1.25,
        BoltSize.M10 => 1.5,
        BoltSize.M12 => 1.75,
        _ => 2,
    };

    /// <summary>Clearance hole, mm: ISO 273, medium.</summary>
    public static double HoleMm(BoltSize size) => size switch
    {
        BoltSize.M5 => 5.5,
        BoltSize.M6 => 6.6,
        BoltSize.M8 => 9,
        BoltSize.M10 => 11,
        BoltSize.M12 => 13.5,
        _ => 17.5,
    };

    /// <summary>Washer, mm across: ISO 7089, from memory.</summary>
    public static double WasherMm(BoltSize size) => size switch
    {
        BoltSize.M5 => 10,
        BoltSize.M6 => 12,
        BoltSize.M8 => 16,
        BoltSize.M10 => 20,
        BoltSize.M12 => 24,
        _ => 30,
    };

    /// <summary>Stress area of a metric thread, mm².</summary>
    public static double StressMm2(double mm, double pitchMm) => Math.PI / 4 * Math.Pow(mm - 0.9382 * pitchMm, 2);

    /// <summary>Stress area of an inch thread, mm².</summary>
    public static double InchStressMm2(double inch, double threads) => Math.PI / 4 * Math.Pow(inch - 0.9743 / threads, 2) * 25.4 * 25.4;

    /// <summary>Ultimate strength and proof stress, MPa, and the share for shear.</summary>
    public static (double UltimateMPa, double ProofMPa, double Shear) Strength(BoltClass grade) => grade switch
    {
        BoltClass.C46 => (400, 225, 0.6),
        BoltClass.C109 => (1000, 830, 0.5),
        BoltClass.A270 => (700, 0.65 / 0.75 * 450, 0.6),
        BoltClass.A480 => (800, 0.65 / 0.75 * 600, 0.6),
        _ => (800, 580, 0.6),
    };

    /// <summary>What a bolt bears in tension, N.</summary>
    public static double TensionN(double ultimateMPa, double stressMm2) => 0.9 * ultimateMPa * stressMm2 / Part;

    /// <summary>What it bears in shear through its thread, N.</summary>
    public static double ShearN(double ultimateMPa, double share, double stressMm2) => share * ultimateMPa * stressMm2 / Part;

    /// <summary>Used of what it bears: shear and tension together, and tension alone.</summary>
    public static double Used(double shearN, double tensionN, double shearBears, double tensionBears) =>
        Math.Max(shearN / shearBears + Math.Max(0, tensionN) / (1.4 * tensionBears), tensionN / tensionBears);

    /// <summary>Bearing of a plate at a bolt, N.</summary>
    /// <param name="mm">Bolt.</param>
    /// <param name="holeMm">Its hole.</param>
    /// <param name="plateMm">Thickness of the plate.</param>
    /// <param name="plateMPa">Ultimate strength of the plate.</param>
    /// <param name="boltMPa">Ultimate strength of the bolt.</param>
    /// <param name="endMm">To the plate's end.</param>
    /// <param name="edgeMm">To its edge.</param>
    public static double BearingN(double mm, double holeMm, double plateMm, double plateMPa, double boltMPa, double endMm, double edgeMm)
    {
        var along = Math.Min(Math.Min(endMm / (3 * holeMm), boltMPa / plateMPa), 1);
        var across = Math.Min(2.8 * edgeMm / holeMm - 1.7, 2.5);
        return across * along * plateMPa * mm * plateMm / Part;
    }

    /// <summary>Force that tightening gives, N: three quarters of proof.</summary>
    public static double PreloadN(double proofMPa, double stressMm2) => 0.75 * proofMPa * stressMm2;

    /// <summary>Nut factor; common practice, textbook tables run from 0.12 to 0.30.</summary>
    public static double NutFactor(ThreadFinish state) => state switch { ThreadFinish.Oiled => 0.18, ThreadFinish.Paste => 0.15, _ => 0.20 };

    /// <summary>Torque, N·m.</summary>
    public static double TorqueNm(double preloadN, double mm, double nutFactor) => nutFactor * mm / 1000 * preloadN;
}

/// <summary>A bolt of a group, m from any origin.</summary>
public sealed record BoltPlace(double X, double Y);

/// <summary>Groups of bolts: elastic vector method, statics.</summary>
public static class BoltGroup
{
    /// <summary>Shear on each bolt, N.</summary>
    /// <param name="bolts">Two or more, not all at one place.</param>
    /// <param name="forceX">Along.</param>
    /// <param name="forceY">Up.</param>
    /// <param name="at">Where the force acts.</param>
    public static IReadOnlyList<(double X, double Y)> Shear(IReadOnlyList<BoltPlace> bolts, double forceX, double forceY, BoltPlace at)
    {
        var (cx, cy) = (bolts.Average(b => b.X), bolts.Average(b => b.Y));
        var polar = bolts.Sum(b => (b.X - cx) * (b.X - cx) + (b.Y - cy) * (b.Y - cy));
        var moment = (at.X - cx) * forceY - (at.Y - cy) * forceX;
        if (polar <= 0 && Math.Abs(moment) > 0)
            throw new Findings.InputException("bolts", "all at one place", "A group of bolts at one place bears no moment.");
        return [.. bolts.Select(b => (forceX / bolts.Count - (polar > 0 ? moment * (b.Y - cy) / polar : 0),
            forceY / bolts.Count + (polar > 0 ? moment * (b.X - cx) / polar : 0)))];
    }

    /// <summary>Pull on each row of bolts of a plate that presses at its edge, N.</summary>
    /// <param name="rows">Heights above the pressed edge.</param>
    /// <param name="momentNm">Of the plate.</param>
    /// <param name="prying">1, or 1.2 for a plate thinner than its bolts.</param>
    public static IReadOnlyList<double> Pull(IReadOnlyList<double> rows, double momentNm, double prying = 1)
    {
        var squares = rows.Sum(y => y * y);
        return [.. rows.Select(y => prying * momentNm * y / squares)];
    }
}
