using Vanto.Core.Physics;

namespace Vanto.Core.Unit;

/// <summary>The room humidity that a unit settles at.</summary>
public readonly record struct RoomHumidity(double RelativeHumidityPct, double RunFraction, double SensibleShare);

/// <summary>One hour of a room as the capacity question needs it: watts, kg/s of air exchanged, °C.</summary>
public readonly record struct RoomHour(double SensibleW, double InternalLatentW, double AirExchangeKgS, double OutdoorRatio, double OutdoorC, double RoomC,
    double PressurePa);

/// <summary>Capacity to buy: derate, coil split, room humidity and band. Powers W, temperatures °C.</summary>
public static class Capacity
{
    /// <summary>Air that a head moves for each nominal watt, m³/s; common practice.</summary>
    public const double FlowPerWatt = 0.05e-3;

    /// <summary>Share of the capacity left at a share of the air flow, as by a dirty filter; common practice.</summary>
    public static double FlowFactor(double airFlowShare) => 0.8 + 0.2 * airFlowShare;

    /// <summary>Nominal sizes offered, W (5 to 36 thousand BTU/h).</summary>
    public static readonly double[] NominalSizesW = [.. new double[] { 5, 7, 9, 12, 15, 18, 24, 30, 36 }.Select(k => k * 293.07107)];

    /// <summary>Capacity left of a nominal one by outdoor heat, indoor wet bulb, altitude and dirty filter; common practice.</summary>
    public static double Derated(double nominalW, double outdoorC, double wetBulbC, double pressurePa, double airFlowShare = 1) =>
        nominalW * OutdoorFactor(outdoorC) * (1 + 0.025 * (wetBulbC - 19.4)) * PlaceFactor(pressurePa, airFlowShare);

    /// <summary>Capacity left by altitude and a dirty filter; common practice.</summary>
    public static double PlaceFactor(double pressurePa, double airFlowShare) =>
        (1 - 0.25 * (1 - pressurePa / Atmosphere.SeaLevelPa)) * FlowFactor(airFlowShare);

    /// <summary>Factor of capacity by outdoor temperature.</summary>
    public static double OutdoorFactor(double outdoorC) => outdoorC > 35 ? 1 - 0.010 * (outdoorC - 35) : 1 - 0.006 * (outdoorC - 35);

    /// <summary>Humidity and running share that a single-speed unit settles at.</summary>
    /// <param name="nominalW">Nominal capacity.</param>
    /// <param name="room">The hour.</param>
    /// <param name="fanRunsOn">True when the indoor fan runs between cycles and dries the coil back into the room.</param>
    public static RoomHumidity SettledSingleSpeed(double nominalW, in RoomHour room, bool fanRunsOn) =>
        Settle(room, (in RoomHour hour, double ratio) =>
        {
            var split = WetCoil.Split(hour.RoomC, ratio, DeratedInRoom(nominalW, hour, ratio), FlowPerWatt * nominalW, hour.PressurePa);
            var run = hour.SensibleW / split.SensibleW;
            var kept = 1 - WetCoil.Returned(fanRunsOn ? WetCoil.HeldWithFanMin : WetCoil.HeldAtRestMin, run);
            return (run, split.LatentW * kept * run, split.SensibleShare);
        });

    /// <summary>Humidity and running share that a modulating unit settles at.</summary>
    /// <param name="nominalW">Nominal capacity.</param>
    /// <param name="minShare">Lowest steady share of it.</param>
    /// <param name="room">The hour.</param>
    public static RoomHumidity SettledModulating(double nominalW, double minShare, in RoomHour room) =>
        Settle(room, (in RoomHour hour, double ratio) =>
        {
            var full = DeratedInRoom(nominalW, hour, ratio);
            var (temperature, pressure, sensible) = (hour.RoomC, hour.PressurePa, hour.SensibleW);
            CoilSplit At(double y) => WetCoil.Split(temperature, ratio, full * y, FlowPerWatt * nominalW * Math.Max(WetCoil.LowestFlow, y), pressure);
            var y = Roots.OfRising(share => At(share).SensibleW - sensible, 0.001, 1, 1e-7);
            if (y >= minShare)
            {
                var steady = At(y);
                return (y, steady.LatentW, steady.SensibleShare);
            }
            var lowest = At(minShare);
            var run = sensible / lowest.SensibleW;
            return (run * minShare, lowest.LatentW * run * (1 - WetCoil.Returned(WetCoil.HeldWithFanMin, run)), lowest.SensibleShare);
        });

    /// <summary>Smallest nominal capacity that carries the hour with the room as dry as it then settles.</summary>
    public static (double NominalW, RoomHumidity Room) Required(in RoomHour room)
    {
        var hour = room;
        // At the border the room dries of a sudden, so it is looked for as a border and not as a root.
        var nominal = Roots.LastThat(q => SettledSingleSpeed(q, hour, true).RunFraction > 1, 200, 40000, 1e-3);
        return (nominal, SettledSingleSpeed(nominal, hour, true));
    }

    /// <summary>Watts by floor area as the trade does: 12,000 BTU/h for 335 ft² of a small dwelling in a hot climate.</summary>
    public static double AreaRuleW(double floorM2) => 113 * floorM2;

    private delegate (double Run, double LatentW, double SensibleShare) Coiling(in RoomHour hour, double ratio);

    private static double DeratedInRoom(double nominalW, in RoomHour hour, double ratio)
    {
        var wetBulb = Math.Clamp(MoistAir.WetBulb(hour.RoomC, ratio, hour.PressurePa), 12, 28);
        return Derated(nominalW, hour.OutdoorC, wetBulb, hour.PressurePa);
    }

    private static RoomHumidity Settle(in RoomHour room, Coiling coil)
    {
        var hour = room;
        var high = 0.999 * MoistAir.SaturationRatio(hour.RoomC, hour.PressurePa);
        var settled = Roots.OfRising(
            ratio => coil(hour, ratio).LatentW - hour.InternalLatentW - hour.AirExchangeKgS * MoistAir.VaporisationJPerKg * (hour.OutdoorRatio - ratio),
            1e-4, high, 1e-9);
        var (run, _, share) = coil(hour, settled);
        return new RoomHumidity(MoistAir.RelativeHumidity(hour.RoomC, settled, hour.PressurePa), run, share);
    }
}
