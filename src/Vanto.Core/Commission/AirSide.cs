using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>Air at one place.</summary>
/// <param name="C">Dry bulb, °C.</param>
/// <param name="Rh">Relative humidity, 0 to 1.</param>
public readonly record struct AirReading(double C, double Rh);

/// <summary>What a head delivers, by the air that goes through it (handbook psychrometrics).</summary>
/// <param name="TotalW">Heat taken out, less what the drained water carries away.</param>
/// <param name="SensibleW">Of it the dry part.</param>
/// <param name="CondensateKgH">Water out of the air.</param>
/// <param name="UncertaintyW">Both ways, two standard deviations: 0.5 K, 3 % humidity, 10 % of the air flow; common practice for hand instruments.</param>
public sealed record AirSide(double TotalW, double SensibleW, double CondensateKgH, double UncertaintyW)
{
    private const double AirC = 0.5, AirRh = 0.03, FlowShare = 0.10;
    private const double WaterJKgK = 4186;

    /// <summary>By readings before and after the coil.</summary>
    /// <param name="back">Into the head.</param>
    /// <param name="out">Out of it.</param>
    /// <param name="flowM3s">Air flow.</param>
    /// <param name="atOutlet">It was measured at the outlet.</param>
    /// <param name="pressurePa">Of the place.</param>
    public static AirSide Of(AirReading back, AirReading @out, double flowM3s, bool atOutlet, double pressurePa)
    {
        double[] x = [back.C, back.Rh, @out.C, @out.Rh, flowM3s];
        double[] u = [AirC, AirRh, AirC, AirRh, FlowShare * flowM3s];
        var variance = 0.0;
        for (var i = 0; i < x.Length; i++)
        {
            var step = u[i] / 1000;
            double At(double by)
            {
                var y = (double[])x.Clone();
                y[i] += by;
                return Heat(y, atOutlet, pressurePa).Total;
            }

            variance += Math.Pow((At(step) - At(-step)) / (2 * step) * u[i], 2);
        }
        var (total, sensible, water) = Heat(x, atOutlet, pressurePa);
        return new AirSide(total, sensible, water, 2 * Math.Sqrt(variance));
    }

    private static (double Total, double Sensible, double WaterKgH) Heat(double[] x, bool atOutlet, double p)
    {
        var (back, leaving) = (MoistAir.RatioFromRh(x[0], 100 * x[1], p), MoistAir.RatioFromRh(x[2], 100 * x[3], p));
        var mass = x[4] / (atOutlet ? MoistAir.SpecificVolume(x[2], leaving, p) : MoistAir.SpecificVolume(x[0], back, p));
        return (mass * (MoistAir.Enthalpy(x[0], back) - MoistAir.Enthalpy(x[2], leaving) - (back - leaving) * WaterJKgK * x[2]),
            mass * MoistAir.HeatCapacity(back) * (x[0] - x[2]), 3600 * mass * (back - leaving));
    }

    /// <summary>Several readings at one place: temperature and water are averaged, not relative humidity.</summary>
    public static AirReading Average(IReadOnlyList<AirReading> readings, double pressurePa)
    {
        var c = readings.Average(r => r.C);
        var ratio = readings.Average(r => MoistAir.RatioFromRh(r.C, 100 * r.Rh, pressurePa));
        return new AirReading(c, MoistAir.RelativeHumidity(c, ratio, pressurePa) / 100);
    }
}

/// <summary>Volts of a source under a start, by what a light load does to it; linear, rough for inverters, which limit current too.</summary>
public static class SourceSag
{
    /// <summary>Ohms seen at the terminals.</summary>
    public static double Ohm(double restV, double loadedV, double loadA) => (restV - loadedV) / loadA;

    /// <summary>Volts at a start, and the share lost.</summary>
    public static (double Volts, double Share) AtStart(double restV, double ohm, double startA) => (restV - ohm * startA, ohm * startA / restV);
}
