using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>What three readings between a compressor's terminals say.</summary>
public enum WindingVerdict
{
    [Called("named")] Named, [Called("all open: not on the terminals, or a winding is open")] AllOpen,
    [Called("one pair only: most likely the overload inside is open")] OneClosedPair, [Called("impossible in one network")] Inconsistent,
    [Called("shorted, or windings of an inverter-driven compressor")] Shorted, [Called("three equal windings: inverter-driven or three-phase")] ThreePhase,
    [Called("the two smaller do not add up to the largest")] SumRuleFailed, [Called("too near to tell apart")] Ambiguous,
}

/// <summary>Windings of a single-phase compressor by resistance.</summary>
/// <param name="Verdict">What it is.</param>
/// <param name="Common">Letter of the common terminal; empty where no names are given.</param>
/// <param name="Run">Of the run winding.</param>
/// <param name="Start">Of the start winding.</param>
/// <param name="OffOhm">By how much the sum rule misses.</param>
public sealed record Windings(WindingVerdict Verdict, string Common, string Run, string Start, double OffOhm)
{
    private const double Equal = 1.10;
    private const double LeastOhm = 0.2;
    private const double Tolerance = 0.10;
    private const double ToleranceOhm = 0.1;

    /// <summary>Names the terminals. Run and start are in series between run and start terminals: RS = CR + CS.</summary>
    /// <param name="ab">Between A and B, Ω; null open.</param>
    /// <param name="ac">Between A and C.</param>
    /// <param name="bc">Between B and C.</param>
    /// <param name="leads">Of the test leads.</param>
    /// <param name="resolution">Of the meter.</param>
    public static Windings Of(double? ab, double? ac, double? bc, double leads, double resolution)
    {
        Windings Unnamed(WindingVerdict v, double off = 0) => new(v, "", "", "", off);
        var pairs = new[] { ("AB", ab), ("AC", ac), ("BC", bc) }.Where(p => p.Item2 is not null).Select(p => (Pair: p.Item1, Ohm: p.Item2!.Value - leads))
            .OrderBy(p => p.Ohm).ToList();
        switch (pairs.Count)
        {
            case 0:
                return Unnamed(WindingVerdict.AllOpen);
            case 1:
                return Unnamed(WindingVerdict.OneClosedPair);
            case 2:
                return Unnamed(WindingVerdict.Inconsistent);
        }
        var (small, middle, large) = (pairs[0], pairs[1], pairs[2]);
        if (small.Ohm < LeastOhm)
            return Unnamed(WindingVerdict.Shorted);
        if (large.Ohm / small.Ohm <= Equal)
            return Unnamed(WindingVerdict.ThreePhase);
        var off = large.Ohm - small.Ohm - middle.Ohm;
        if (Math.Abs(off) > Math.Max(Tolerance * large.Ohm, ToleranceOhm) + 1e-9)
            return Unnamed(WindingVerdict.SumRuleFailed, off);
        if (middle.Ohm - small.Ohm < 2 * resolution - 1e-9 || large.Ohm - middle.Ohm < 2 * resolution - 1e-9)
            return Unnamed(WindingVerdict.Ambiguous, off);
        var common = "ABC".Single(c => !large.Pair.Contains(c));
        string Other(string pair) => pair.Replace(common.ToString(), "");
        return new Windings(WindingVerdict.Named, common.ToString(), Other(small.Pair), Other(middle.Pair), off);
    }

    /// <summary>Copper at another temperature, Ω.</summary>
    public static double At(double ohm, double fromC, double toC) => ohm * (234.5 + toC) / (234.5 + fromC);
}

/// <summary>A winding's conductor.</summary>
public enum WindingWire { [Called("common")] Common, [Called("run")] Run, [Called("start")] Start }

/// <summary>Where a conductor is joined to a soft starter: to a lead of its supply side or of its load side.</summary>
public enum StarterLead
{
    [Called("not joined")] None, [Called("supply, common")] SupplyCommon, [Called("supply, run")] SupplyRun, [Called("supply, start")] SupplyStart,
    [Called("load, common")] LoadCommon, [Called("load, run")] LoadRun, [Called("load, start")] LoadStart,
}

/// <summary>Faults of the joints round a soft starter.</summary>
/// <param name="Crossed">Joints on a lead of another winding.</param>
/// <param name="Reversed">Joints on the wrong side.</param>
/// <param name="Open">Joints missing.</param>
public sealed record StarterJoints(int Crossed, int Reversed, int Open)
{
    /// <summary>Judges the three conductors on each side, in the order common, run, start.</summary>
    /// <param name="control">Where each conductor of the control side is joined.</param>
    /// <param name="compressor">Where each conductor of the compressor is joined.</param>
    /// <param name="leads">Windings that the device has leads for.</param>
    public static StarterJoints Of(IReadOnlyList<StarterLead> control, IReadOnlyList<StarterLead> compressor, IReadOnlyList<WindingWire> leads)
    {
        var (crossed, reversed, open) = (0, 0, 0);
        foreach (var wire in leads)
            foreach (var (lead, supply) in new[] { (control[(int)wire], true), (compressor[(int)wire], false) })
                if (lead == StarterLead.None)
                    open++;
                else if ((lead < StarterLead.LoadCommon) != supply)
                    reversed++;
                else if ((int)lead != (supply ? 1 : 4) + (int)wire)
                    crossed++;
        return new StarterJoints(crossed, reversed, open);
    }
}

/// <summary>A capacitor let empty through a resistor.</summary>
public static class CapacitorDischarge
{
    /// <summary>Time until it is safe, s: R·C·ln(V₀/V_safe); 0 where it is.</summary>
    public static double Seconds(double farad, double volts, double ohm, double safeV) => Math.Max(0, ohm * farad * Math.Log(volts / safeV));

    /// <summary>Energy in it, J.</summary>
    public static double EnergyJ(double farad, double volts) => farad * volts * volts / 2;
}
