using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Unit;

/// <summary>Capacity and power at full speed under given conditions, with the limits the model held.</summary>
public readonly record struct FullLoadPoint(double CapacityW, double PowerW, double CapacityFactor, double InputRatioFactor, bool DryCoilHeld,
    bool LowAmbientHeld, bool HumidHeld)
{
    /// <summary>Less cooling for the same power: thin air, a dirty filter.</summary>
    public FullLoadPoint Times(double factor) =>
        factor == 1
            ? this
            : this with { CapacityW = CapacityW * factor, CapacityFactor = CapacityFactor * factor, InputRatioFactor = InputRatioFactor / factor };
}

/// <summary>How the unit is running.</summary>
public enum RunMode { Off, Standby, Cycling, CyclingAtMin, Modulating, Full, Max, PowerCapped, Blocked }

/// <summary>Part-load result: cooling delivered and power drawn, averaged over cycles.</summary>
public readonly record struct OperatingResult(RunMode Mode, double Share, double RunTimeFraction, double CapacityW, double PowerW);

/// <summary>Capacity and power of a unit by weather, load and power cap. Temperatures °C, powers W.</summary>
public static class Performance
{
    private const double ShareTolerance = 1e-12;

    /// <summary>Indoor wet bulb of the rating point, 67 °F (AHRI 210/240 test A, published).</summary>
    public const double RatedWetBulbC = 19.0 + 4.0 / 9.0;

    /// <summary>Dry bulb indoors at the rating point (AHRI 210/240 test A, published), °C.</summary>
    public const double RatedDryBulbC = 26.7;

    /// <summary>Outdoor air of the rating point, 95 °F.</summary>
    public const double RatedOutdoorC = 35;


    /// <summary>The other end of their range, °C, from memory.</summary>
    public const double LowestWetBulbC = 5;

    /// <summary>End of the curves' range, °C, from memory: beyond it the single-speed input curve turns down and below nothing.</summary>
    private const double HighestWetBulbC = 28;

    private static readonly double[] SingleCapacity = [1.550902, -0.0750500892, 0.00309713544, 0.00240111, -5.0544e-05, -0.00042728148];
    private static readonly double[] SingleInput = [-0.304282997, 0.118047706, -0.00342466704, -0.0062619138, 0.00069542712, -0.00046997496];
    private static readonly double[] MeasuredCapacity = [1.00899352, 0.00651274903, 0, 0.00391756574, -0.000222646706, 0];
    private static readonly double[] MeasuredInput = [0.429214442, -0.0036048416, 4.57831627e-05, 0.0264908758, -0.000159212287, -0.000159062656];
    private static readonly double[] ConservativeCapacity = [0.961111111, 0.02, 0, -0.01, 0, 0];
    private static readonly double[] ConservativeInput = [0.521666667, -0.015, 0, 0.022, 0, 0];
    private static readonly double[] ShareGrid = [0.20, 0.30, 0.50, 0.75, 1.00, 1.20, 1.40];
    private static readonly double[] ShareInput = [0.78, 0.72, 0.76, 0.88, 1.00, 1.12, 1.25];

    /// <summary>Capacity and power at full load (single-speed: Cutler et al. 2013, from memory; modulating: conservative line, common practice).</summary>
    /// <param name="unit">The unit.</param>
    /// <param name="outdoorC">Outdoor air, −10 to 60.</param>
    /// <param name="wetBulbC">Indoor wet bulb from 5; above 28 the curve is held there.</param>
    /// <param name="inletRiseK">How much warmer the air at the condenser is.</param>
    /// <param name="measuredCurve">True takes the measured small-ductless curve for a modulating unit.</param>
    public static FullLoadPoint FullLoad(AcUnit unit, double outdoorC, double wetBulbC, double inletRiseK = 0, bool measuredCurve = false)
    {
        var (capacity, input) = unit.SingleSpeed ? (SingleCapacity, SingleInput)
            : measuredCurve ? (MeasuredCapacity, MeasuredInput) : (ConservativeCapacity, ConservativeInput);
        var d = outdoorC + inletRiseK;
        var lowAmbient = d < 18;
        if (lowAmbient)
            d = 18;
        var humid = wetBulbC > HighestWetBulbC;
        var w = humid ? HighestWetBulbC : wetBulbC;
        var dry = false;
        if (capacity[2] > 0)
        {
            var vertex = -(capacity[1] + capacity[5] * d) / (2 * capacity[2]);
            dry = w < vertex;
            if (dry)
                w = vertex;
        }
        var capacityFactor = At(capacity, w, d) / At(capacity, RatedWetBulbC, RatedOutdoorC);
        var inputFactor = At(input, w, d) / At(input, RatedWetBulbC, RatedOutdoorC);
        return new FullLoadPoint(unit.RatedCapacityW * capacityFactor, unit.RatedPowerW * capacityFactor * inputFactor, capacityFactor, inputFactor, dry,
            lowAmbient, humid);
    }

    /// <summary>The most a unit draws, W: at full or its highest speed, with air of the rating point inside.</summary>
    public static double MostPowerW(AcUnit unit, double outdoorC) => Operate(unit, FullLoad(unit, outdoorC, RatedWetBulbC), double.MaxValue).PowerW;

    /// <summary>Part load: what is delivered and drawn for a demand, with cycling and a power cap.</summary>
    public static OperatingResult Operate(AcUnit unit, in FullLoadPoint full, double demandW, double powerCapW = double.PositiveInfinity, bool fanOn = true)
    {
        var idle = fanOn ? unit.FanPowerW : unit.StandbyPowerW;
        if (demandW <= 0)
            return new OperatingResult(RunMode.Off, 0, 0, 0, idle);
        if (unit.SingleSpeed)
            return full.PowerW > powerCapW
                ? new OperatingResult(RunMode.Blocked, 0, 0, 0, idle)
                : Cycle(unit, Math.Min(1, demandW / full.CapacityW), full.CapacityW, full.PowerW, idle, RunMode.Cycling, RunMode.Full);

        var steadyCapacity = unit.RatedCapacityW * full.CapacityFactor;
        var steadyPower = unit.RatedPowerW * full.CapacityFactor * full.InputRatioFactor;
        var share = demandW / steadyCapacity;
        var mode = RunMode.Modulating;
        if (share > unit.MaxShare)
        {
            share = unit.MaxShare;
            mode = RunMode.Max;
        }
        var lowest = Math.Max(share, unit.MinShare);
        if (PowerAt(lowest) > powerCapW)
        {
            if (PowerAt(unit.MinShare) > powerCapW)
                return new OperatingResult(RunMode.Blocked, 0, 0, 0, idle);
            share = Capped(steadyPower, powerCapW, unit.MinShare, lowest);
            mode = RunMode.PowerCapped;
        }
        if (share < unit.MinShare)
        {
            var cycled =
                Cycle(unit, share / unit.MinShare, unit.MinShare * steadyCapacity, PowerAt(unit.MinShare), idle, RunMode.CyclingAtMin, RunMode.Modulating);
            return cycled with { Share = share, CapacityW = share * steadyCapacity };
        }
        return new OperatingResult(mode, share, 1, share * steadyCapacity, PowerAt(share));

        double PowerAt(double x) => InputAt(steadyPower, x);
    }

    private static double InputAt(double steadyPowerW, double share) => steadyPowerW * share * Roots.Interpolate(ShareGrid, ShareInput, share);

    /// <summary>Highest share whose draw keeps the cap; apart from <see cref="Operate"/>, whose every call would else allocate what is captured here.</summary>
    private static double Capped(double steadyPowerW, double capW, double low, double high) =>
        Roots.LastThat(share => InputAt(steadyPowerW, share) <= capW, low, high, ShareTolerance);

    /// <summary>The rating point's wet bulb as the line of the sensible share was drawn, °C.</summary>
    private const double RoundedWetBulbC = 19.44;

    /// <summary>Share of the cooling that lowers temperature rather than humidity, held to 0.40 to 1.00; definition of the model.</summary>
    public static double SensibleShare(double ratedShare, double dryBulbC, double wetBulbC) =>
        Math.Clamp(ratedShare + 0.055 * (dryBulbC - RatedDryBulbC) - 0.070 * (wetBulbC - RoundedWetBulbC), 0.40, 1.00);

    /// <summary>Kelvin above a unit's limit at which it gives up for good; common practice.</summary>
    private const double BeyondLimitK = 4;

    /// <summary>What there is to say of the air at a unit's condenser, or null.</summary>
    /// <param name="unit">The unit.</param>
    /// <param name="airC">The air there.</param>
    public static Finding? OutdoorLimit(AcUnit unit, double airC) => airC <= unit.MaxOutdoorC ? null
        : Finding.Of(FindingCode.UnitOutdoorLimit, airC > unit.MaxOutdoorC + BeyondLimitK ? Severity.Stop : Severity.Caution,
            $"The air at its condenser reaches {airC:Temperature}; the unit ends at {unit.MaxOutdoorC:Temperature}.");

    private static OperatingResult Cycle(AcUnit unit, double partLoad, double capacity, double power, double idle, RunMode cycling, RunMode steady)
    {
        var factor = 1 - unit.CyclingDegradation * (1 - partLoad);
        var run = Math.Min(1, partLoad / factor);
        return new OperatingResult(partLoad >= 1 ? steady : cycling, partLoad, run, partLoad * capacity, run * power + (1 - run) * idle);
    }

    private static double At(double[] c, double w, double d) => c[0] + c[1] * w + c[2] * w * w + c[3] * d + c[4] * d * d + c[5] * w * d;
}
