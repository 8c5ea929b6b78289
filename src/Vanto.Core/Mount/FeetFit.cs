using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>Whether the unit's feet fall into the slots of the arms; m from the wall.</summary>
/// <param name="FromM">Nearest the rear feet may be.</param>
/// <param name="ToM">Furthest.</param>
public sealed record FeetFit(double FromM, double ToM)
{
    /// <summary>Of slots.</summary>
    /// <param name="apartM">Feet apart across the unit.</param>
    /// <param name="behindM">Free behind its back.</param>
    /// <param name="backM">Back of the unit behind the rear feet.</param>
    /// <param name="slotFromM">Slot begins.</param>
    /// <param name="slotToM">Slot ends.</param>
    public static FeetFit Of(double apartM, double behindM, double backM, double slotFromM, double slotToM) =>
        new(Math.Max(slotFromM, behindM + backM), slotToM - apartM);

    /// <summary>What is missing; nothing or less where they fit.</summary>
    public double MissingM => FromM - ToM;
}

/// <summary>Upright members that a bracket meets when it is moved a little.</summary>
/// <param name="ShiftM">Move it to the right by so much.</param>
/// <param name="Landed">Columns that land on a stud or rib.</param>
/// <param name="At">Which stands of the members they hit; nothing for a column that misses.</param>
public sealed record StudFit(double ShiftM, int Landed, IReadOnlyList<double?> At)
{
    /// <summary>Most landings, then the least shift.</summary>
    /// <param name="columns">Places of the columns of fasteners.</param>
    /// <param name="studs">Middles of studs or ribs.</param>
    /// <param name="reachM">How far off a middle a fastener may be.</param>
    /// <param name="fromM">Least shift.</param>
    /// <param name="toM">Greatest shift.</param>
    public static StudFit Of(IReadOnlyList<double> columns, IReadOnlyList<double> studs, double reachM, double fromM, double toM)
    {
        var shifts = new List<double> { fromM, toM };
        if (fromM <= 0 && toM >= 0)
            shifts.Add(0);
        foreach (var stud in studs)
            foreach (var c in columns)
                shifts.AddRange([stud - c, stud - c - reachM, stud - c + reachM]);
        StudFit? best = null;
        foreach (var v in shifts.Where(v => v >= fromM - 1e-12 && v <= toM + 1e-12))
        {
            List<double?> at = [.. columns.Select(c => studs.Where(s => Math.Abs(c + v - s) <= reachM + 1e-9)
                .Select(s => (double?)s).MinBy(s => Math.Abs(c + v - s!.Value)))];
            var landed = at.Count(a => a is not null);
            if (best is null || landed > best.Landed || landed == best.Landed && Math.Abs(v) < Math.Abs(best.ShiftM) - 1e-12)
                best = new StudFit(v, landed, at);
        }
        return best!;
    }
}

/// <summary>A rail across two studs that carries a bracket between them.</summary>
/// <param name="NearN">On the nearer stud.</param>
/// <param name="FarN">On the other.</param>
/// <param name="MomentNm">In the rail.</param>
public sealed record SpreaderRail(double NearN, double FarN, double MomentNm)
{
    /// <summary>Statics of a simple span.</summary>
    /// <param name="loadN">Of the bracket.</param>
    /// <param name="offM">From the nearer stud.</param>
    /// <param name="apartM">Studs apart.</param>
    public static SpreaderRail Of(double loadN, double offM, double apartM) =>
        new(loadN * (apartM - offM) / apartM, loadN * offM / apartM, loadN * offM * (apartM - offM) / apartM);
}

/// <summary>What a unit on soft feet does at the compressor's speeds; textbook of vibration.</summary>
/// <param name="OwnHz">Its own frequency.</param>
/// <param name="SagM">How much the feet give.</param>
/// <param name="LowestRatio">The compressor's lowest speed over it.</param>
/// <param name="PassedAtLowest">Share of the shaking that passes at the lowest speed.</param>
/// <param name="PassedAtHighest">And at the highest.</param>
public sealed record Vibration(double OwnHz, double SagM, double LowestRatio, double PassedAtLowest, double PassedAtHighest)
{
    /// <summary>The lowest speed is to be so many times the own frequency; common practice.</summary>
    public const double Wanted = 2.5;

    /// <summary>Of a unit on its feet.</summary>
    /// <param name="massKg">Of the unit.</param>
    /// <param name="feet">How many.</param>
    /// <param name="eachNm">Stiffness of each, N/m.</param>
    /// <param name="damping">Share of critical.</param>
    /// <param name="bracketNm">Stiffness of the bracket; infinite for a slab.</param>
    /// <param name="fromHz">Lowest speed.</param>
    /// <param name="toHz">Highest.</param>
    public static Vibration Of(double massKg, int feet, double eachNm, double damping, double bracketNm, double fromHz, double toHz)
    {
        var soft = 1 / (1 / (feet * eachNm) + 1 / bracketNm);
        var own = Math.Sqrt(soft / massKg) / (2 * Math.PI);
        return new Vibration(own, massKg * Gravity.Standard / (feet * eachNm), fromHz / own, Passed(fromHz / own, damping), Passed(toHz / own, damping));
    }

    /// <summary>Share that passes at a ratio of frequencies.</summary>
    public static double Passed(double ratio, double damping)
    {
        var d = 4 * damping * damping * ratio * ratio;
        return Math.Sqrt((1 + d) / ((1 - ratio * ratio) * (1 - ratio * ratio) + d));
    }
}

/// <summary>Metals that touch, by what they stand at in sea water; ASTM G82 style series, from memory, ±0.1 V.</summary>
public enum TouchingMetal
{
    [Called("zinc or zinc coating")] Zinc, [Called("aluminium")] Aluminium, [Called("mild steel")] Steel, [Called("copper")] Copper,
    [Called("brass")] Brass, [Called("bronze")] Bronze, [Called("stainless 304")] Stainless304, [Called("stainless 316")] Stainless316,
    [Called("carbon fibre")] Carbon, [Called("paint or plastic between")] None,
}

/// <summary>Two metals in contact.</summary>
/// <param name="Volts">Apart.</param>
/// <param name="FirstGoes">The first is the one that is eaten.</param>
public sealed record GalvanicPair(double Volts, bool FirstGoes)
{
    /// <summary>What is borne on boats and salted roads, V; from memory.</summary>
    public const double SaltV = 0.15;

    /// <summary>Outdoors elsewhere, V; from memory.</summary>
    public const double OutdoorsV = 0.25;

    /// <summary>Against saturated calomel, V.</summary>
    public static double? Potential(TouchingMetal metal) => metal switch
    {
        TouchingMetal.Zinc => -1.03,
        TouchingMetal.Aluminium => -0.76,
        TouchingMetal.Steel => -0.61,
        TouchingMetal.Copper => -0.36,
        TouchingMetal.Brass => -0.35,
        TouchingMetal.Bronze => -0.30,
        TouchingMetal.Stainless304 => -0.08,
        TouchingMetal.Stainless316 => -0.05,
        TouchingMetal.Carbon => 0.25,
        _ => null,
    };

    /// <summary>Of two; nothing where something that does not conduct is between.</summary>
    public static GalvanicPair? Of(TouchingMetal first, TouchingMetal second) =>
        Potential(first) is { } a && Potential(second) is { } b ? new GalvanicPair(Math.Abs(a - b), a < b) : null;
}

/// <summary>Bags of concrete.</summary>
public enum ConcreteBag { [Called("25 kg")] Kg25, [Called("60 lb")] Lb60, [Called("80 lb")] Lb80 }

/// <summary>A slab: how much concrete, how long to wait.</summary>
/// <param name="VolumeM3">Of the slab.</param>
/// <param name="Bags">With waste.</param>
/// <param name="MassKg">When it is hard.</param>
/// <param name="WaitDays">Until it is loaded.</param>
/// <param name="Strength">Share of its strength at 28 days that it then has.</param>
public sealed record Slab(double VolumeM3, int Bags, double MassKg, double WaitDays, double Strength)
{
    /// <summary>Least temperature at which it sets, °C.</summary>
    public const double ColdestC = 5;

    private const double DensityKgM3 = 2300;
    private const double WeekDays = 7;
    private const double MaturityC = -10;

    /// <summary>Yield of a bag, m³; common practice.</summary>
    public static double YieldM3(ConcreteBag bag) => bag switch { ConcreteBag.Lb60 => 0.012743, ConcreteBag.Lb80 => 0.60 * 0.028316847, _ => 0.0125 };

    /// <summary>Share of the strength at 28 days: ACI 209, from memory.</summary>
    public static double StrengthAt(double days) => days / (4 + 0.85 * days);

    /// <summary>Of a slab; the wait by maturity (Nurse and Saul), a week at 20 °C.</summary>
    public static Slab Of(double lengthM, double widthM, double thickM, ConcreteBag bag, double waste, double meanC)
    {
        var volume = lengthM * widthM * thickM;
        var wait = WeekDays * (20 - MaturityC) / (Math.Max(meanC, ColdestC) - MaturityC);
        return new Slab(volume, (int)Math.Ceiling(volume * (1 + waste) / YieldM3(bag) - 1e-9), DensityKgM3 * volume, wait, StrengthAt(WeekDays));
    }
}
