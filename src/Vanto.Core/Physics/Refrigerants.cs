using Vanto.Core.Quantities;

namespace Vanto.Core.Physics;

/// <summary>Refrigerants with a verified saturation line.</summary>
public enum RefrigerantKind { [Called("R-32")] R32, [Called("R-134a")] R134a, [Called("R-290")] R290, [Called("R-410A")] R410A, [Called("R-407C")] R407C }

/// <summary>
/// Saturation of refrigerants: ln(p/pc) = Tc/T Σ N θ^t, from memory of the ancillary equations published with the reference equations of state.
/// </summary>
public static class Refrigerants
{
    private sealed record Line(double CriticalK, double CriticalPa, double[] N, double[] T);

    private static readonly Dictionary<(RefrigerantKind, bool Dew), Line> Lines = new()
    {
        [(RefrigerantKind.R32, true)] = new(351.255, 5782e3, [-7.4883, 1.9697, -1.7496, -4.0224, 1.5524], [1, 1.5, 2.2, 4.8, 6.2]),
        [(RefrigerantKind.R134a, true)] = new(374.21, 4059.28e3, [-7.7513, 2.9263, -2.6622, -3.9711], [1, 1.5, 1.9, 4.25]),
        [(RefrigerantKind.R290, true)] = new(369.89, 4251.2e3, [-6.7722, 1.6938, -1.3341, -3.1876, 0.94937], [1, 1.5, 2.2, 4.8, 6.2]),
        [(RefrigerantKind.R410A, false)] = new(344.494, 4901.2e3, [-7.2818, 2.5093, -3.2695, -2.8022], [1, 1.8, 2.4, 4.9]),
        [(RefrigerantKind.R410A, true)] = new(344.494, 4901.2e3, [-7.4411, 1.9883, -2.4925, -3.2633], [1, 1.6, 2.4, 5.0]),
        [(RefrigerantKind.R407C, false)] = new(359.345, 4631.7e3, [0.48722, -6.6959, -1.4165, -2.5109], [0.54, 0.925, 2.7, 4.7]),
        [(RefrigerantKind.R407C, true)] = new(359.345, 4631.7e3, [-0.086077, -6.6364, -2.4648, -3.4776], [0.4, 0.965, 3.1, 5.0]),
    };

    /// <summary>Critical temperature, K.</summary>
    public static double CriticalK(RefrigerantKind kind) => LineOf(kind, true).CriticalK;

    /// <summary>Molar gas constant, J/(mol·K); exact since 2019 (SI).</summary>
    public const double GasConstant = 8.314462618;

    /// <summary>Molar mass, kg/mol.</summary>
    public static double MolarKg(RefrigerantKind kind) => kind switch
    {
        RefrigerantKind.R32 => 0.052024,
        RefrigerantKind.R134a => 0.102032,
        RefrigerantKind.R290 => 0.044096,
        RefrigerantKind.R410A => 0.072585,
        _ => 0.086204,
    };

    /// <summary>Saturation pressure, Pa absolute, from 200 K to below the critical point.</summary>
    public static double SaturationPressure(RefrigerantKind kind, bool dew, double kelvin)
    {
        var line = LineOf(kind, dew);
        var theta = 1 - kelvin / line.CriticalK;
        var sum = 0.0;
        for (var i = 0; i < line.N.Length; i++)
            sum += line.N[i] * Math.Pow(theta, line.T[i]);
        return line.CriticalPa * Math.Exp(line.CriticalK / kelvin * sum);
    }

    /// <summary>Saturation temperature, K.</summary>
    public static double SaturationTemperature(RefrigerantKind kind, bool dew, double pressurePa) =>
        Roots.OfRising(t => SaturationPressure(kind, dew, t) - pressurePa, 200, CriticalK(kind), 1e-9);

    private static Line LineOf(RefrigerantKind kind, bool dew) => Lines.TryGetValue((kind, dew), out var line) ? line : Lines[(kind, true)];
}
