using Vanto.Core.Physics;

namespace Vanto.Core.Mount;

/// <summary>Wind on the unit.</summary>
public static class WindLoad
{
    /// <summary>Dry air at a place, kg/m³.</summary>
    public static double DensityKgM3(double elevationM, double airC) => Atmosphere.Pressure(elevationM) / (287.055 * (airC + 273.15));

    /// <summary>Force, N.</summary>
    /// <param name="densityKgM3">Of the air.</param>
    /// <param name="speedMs">Of the air against it.</param>
    /// <param name="shape">Drag coefficient: 1.2 for a box side on.</param>
    /// <param name="areaM2">That it meets.</param>
    public static double ForceN(double densityKgM3, double speedMs, double shape, double areaM2) =>
        densityKgM3 / 2 * speedMs * speedMs * shape * areaM2;
}

/// <summary>What a mass does to the axles of a vehicle, kg.</summary>
/// <param name="FrontKg">Onto the front axle.</param>
/// <param name="RearKg">Onto the rear axle.</param>
public sealed record VehicleMass(double FrontKg, double RearKg)
{
    /// <summary>Statics.</summary>
    /// <param name="massKg">Added.</param>
    /// <param name="behindM">Behind the front axle.</param>
    /// <param name="wheelbaseM">Front to rear axle.</param>
    public static VehicleMass Of(double massKg, double behindM, double wheelbaseM) =>
        new(massKg * (wheelbaseM - behindM) / wheelbaseM, massKg * behindM / wheelbaseM);

    /// <summary>Height of the centre of gravity with a mass added, m.</summary>
    public static double HighM(double vehicleKg, double highM, double massKg, double atM) => (vehicleKg * highM + massKg * atM) / (vehicleKg + massKg);

    /// <summary>Sideways pull at which a rigid vehicle tips, g.</summary>
    public static double TipsG(double trackM, double highM) => trackM / (2 * highM);
}

/// <summary>What a vehicle passes over and under.</summary>
public static class DrivingEnvelope
{
    /// <summary>Angle of a ramp that a low point behind the rear axle just clears, degrees.</summary>
    /// <param name="behindM">Behind the axle.</param>
    /// <param name="highM">Above the road.</param>
    /// <param name="wheelM">Radius of the wheel.</param>
    public static double DepartureDeg(double behindM, double highM, double wheelM)
    {
        var far = Math.Sqrt(behindM * behindM + (wheelM - highM) * (wheelM - highM));
        return Math.Max(0, (Math.Asin(Math.Min(1, wheelM / far)) - Math.Atan2(wheelM - highM, behindM)) * 180 / Math.PI);
    }

    /// <summary>Angle of a crest that a point between the axles just clears, degrees.</summary>
    public static double BreakOverDeg(double highM, double toFrontM, double toRearM) =>
        (Math.Atan(highM / toFrontM) + Math.Atan(highM / toRearM)) * 180 / Math.PI;
}

/// <summary>What a unit does to a boat.</summary>
public static class BoatPlacement
{
    /// <summary>Height of a hull fitting above the water when heeled to its side, m.</summary>
    public static double AboveWaterM(double highM, double offM, double heelDeg) =>
        highM * Math.Cos(heelDeg * Math.PI / 180) - offM * Math.Sin(heelDeg * Math.PI / 180);

    /// <summary>List from a mass to one side, degrees.</summary>
    public static double ListDeg(double massKg, double offM, double boatKg, double metacentricM) =>
        Math.Atan(massKg * offM / (boatKg * metacentricM)) * 180 / Math.PI;

    /// <summary>Acceleration sideways and down of a unit when the boat rolls, m/s².</summary>
    /// <param name="rollDeg">Of the roll.</param>
    /// <param name="periodS">Of the roll.</param>
    /// <param name="aboveM">Unit above the axis of the roll.</param>
    /// <param name="offM">To its side.</param>
    public static (double Sideways, double Down) Roll(double rollDeg, double periodS, double aboveM, double offM)
    {
        var (roll, turn) = (rollDeg * Math.PI / 180, Math.Pow(2 * Math.PI / periodS, 2));
        return (Gravity.Standard * Math.Sin(roll) + turn * roll * aboveM, Gravity.Standard * Math.Cos(roll) + turn * roll * Math.Abs(offM));
    }
}
