using Vanto.Core.Findings;

namespace Vanto.Core.Commission;

/// <summary>The inverter's low-battery cut-out as it was seen, against its setting; bands are common practice, no published source.</summary>
/// <param name="Off">Share by which it was off; nothing where it did not cut out.</param>
public readonly record struct CutOut(double? Off, Severity? Level)
{
    private const double PassShare = 0.015, MostShare = 0.03;

    /// <summary>Judges.</summary>
    /// <param name="setV">As set.</param>
    /// <param name="cutV">Where it cut out; nothing where it did not.</param>
    public static CutOut Of(double setV, double? cutV)
    {
        if (cutV is not { } volts)
            return new CutOut(null, Severity.Stop);
        var off = Math.Abs(volts / setV - 1);
        return new CutOut(off, off <= PassShare ? null : off <= MostShare ? Severity.Caution : Severity.Stop);
    }
}

/// <summary>A generator or shore taking over while the unit runs; bands are common practice, no published source.</summary>
/// <param name="Faults">What is wrong, in words; none where it is well.</param>
/// <param name="Breaks">The gap counts as a stop of the unit.</param>
public readonly record struct HandOver(IReadOnlyList<string> Faults, bool Breaks)
{
    private const double VoltShare = 0.10, HertzShare = 0.05, BreakS = 0.020;

    /// <summary>A compressor that stopped may not start again for so long, s; common practice.</summary>
    public const double RestS = 180;

    /// <summary>Judges.</summary>
    /// <param name="volts">Of the source that took over.</param>
    /// <param name="nominalV">Of the unit.</param>
    /// <param name="hertz">Of the source that took over.</param>
    /// <param name="nominalHz">Of the unit.</param>
    /// <param name="gapS">Without power.</param>
    /// <param name="restartS">From the gap to its start by itself; nothing where it did not start.</param>
    public static HandOver Of(double volts, double nominalV, double hertz, double nominalHz, double gapS, double? restartS)
    {
        var faults = new List<string>();
        if (Math.Abs(volts / nominalV - 1) > VoltShare)
            faults.Add(FormattableString.Invariant($"{volts:0.#} V is more than 10 % off {nominalV:0} V"));
        if (Math.Abs(hertz / nominalHz - 1) > HertzShare)
            faults.Add(FormattableString.Invariant($"{hertz:0.#} Hz is more than 5 % off {nominalHz:0} Hz"));
        var breaks = gapS > BreakS;
        if (breaks && restartS is null)
            faults.Add("it does not start again by itself");
        else if (breaks && restartS < RestS)
            faults.Add(FormattableString.Invariant($"it started again after {restartS:0} s; {RestS:0} s of rest protect the compressor"));
        return new HandOver(faults, breaks);
    }
}

/// <summary>Whether a unit that is moved may keep its refrigerant in the outdoor part; common practice, no published source.</summary>
public static class MovingCheck
{
    /// <summary>Longest that pumping down may take; no fall by then is a valve that passes.</summary>
    public const double MostMin = 5;

    /// <summary>Gauge at which the gas valve is shut at once; never below the air's pressure.</summary>
    public const double LeastPa = 0, MostPa = 50_000;

    /// <summary>Judges; nothing where it may.</summary>
    /// <param name="chargeKg">Whole charge.</param>
    /// <param name="holdsKg">That the outdoor unit's sheet says it holds; nothing where it does not say.</param>
    public static Severity? Of(double chargeKg, double? holdsKg) => holdsKg is not { } holds ? Severity.Caution : chargeKg > holds ? Severity.Stop : null;
}
