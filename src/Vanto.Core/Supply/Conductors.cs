namespace Vanto.Core.Supply;

/// <summary>Resistance of a run of two conductors.</summary>
public static class Conductors
{
    /// <summary>Loop resistance in Ω: both conductors, copper at a temperature (IACS, published).</summary>
    public static double LoopOhm(double lengthM, double areaMm2, double temperatureC, bool aluminium = false)
    {
        var resistivity = (aluminium ? 2.82e-8 : 1.7241e-8) * (1 + 0.00393 * (temperatureC - 20));
        return 2 * lengthM * resistivity / (areaMm2 * 1e-6);
    }
}
