using Vanto.Core.Physics;

namespace Vanto.Core.Unit;

/// <summary>How the coil splits its cooling.</summary>
public readonly record struct CoilSplit(double SensibleW, double LatentW, double ApparatusDewPointC)
{
    public double SensibleShare => SensibleW / (SensibleW + LatentW);
}

/// <summary>A coil at steady work: share of its cooling that is dry, air that touches its wet face (kg/s), humidity ratio there.</summary>
public readonly record struct CoilPoint(double SensibleShare, double WetKgS, double Ratio);

/// <summary>Coil by bypass factor and apparatus dew point (textbook, from memory).</summary>
public static class WetCoil
{
    /// <summary>Share of the air that passes a coil untouched; common practice, 0.1 to 0.2.</summary>
    public const double BypassFactor = 0.15;

    /// <summary>Lowest share of its full flow that a modulating unit's fan keeps; common practice.</summary>
    public const double LowestFlow = 0.4;

    /// <summary>Minutes of drying that a coil holds and gives back once it stops: with the fan running on, and with it at rest; common practice.</summary>
    public const double HeldWithFanMin = 12, HeldAtRestMin = 3;

    /// <summary>Starts an hour of a unit that runs half the time, at most (thermostat law of AHRI 210/240, from memory).</summary>
    private const double MostStartsPerHour = 3;

    /// <summary>Share of the drying that comes back from a coil that cycles: what it holds against what it dries in one run.</summary>
    /// <param name="heldMin">Minutes of drying that it holds.</param>
    /// <param name="runFraction">Share of the time that the compressor runs.</param>
    public static double Returned(double heldMin, double runFraction) =>
        runFraction >= 1 ? 0 : Math.Min(1, heldMin * 4 * MostStartsPerHour * (1 - runFraction) / 60);

    private const double ColdestC = -60;
    private const int MostTries = 60;

    /// <summary>Sensible and latent cooling of a coil.</summary>
    /// <param name="entryC">Air that enters.</param>
    /// <param name="entryRatio">Its humidity ratio.</param>
    /// <param name="coolingW">Total cooling.</param>
    /// <param name="flowM3s">Air flow.</param>
    /// <param name="pressurePa">Of the place.</param>
    public static CoilSplit Split(double entryC, double entryRatio, double coolingW, double flowM3s, double pressurePa)
    {
        var through = flowM3s / MoistAir.SpecificVolume(entryC, entryRatio, pressurePa) * (1 - BypassFactor);
        var apparatus = Apparatus(MoistAir.Enthalpy(entryC, entryRatio) - coolingW / through, entryC, pressurePa, entryC - 10);
        var saturated = MoistAir.SaturationRatio(apparatus, pressurePa);
        if (saturated >= entryRatio)
            return new CoilSplit(coolingW, 0, entryC - coolingW / (through * MoistAir.HeatCapacity(entryRatio)));
        var latent = Math.Min(coolingW, through * (entryRatio - saturated) * MoistAir.VaporisationJPerKg);
        return new CoilSplit(coolingW - latent, latent, apparatus);
    }

    /// <summary>Temperature at which saturated air has an enthalpy, by Newton's method from a guess; between −60 °C and the entry.</summary>
    internal static double Apparatus(double enthalpyJkg, double entryC, double pressurePa, double guessC)
    {
        // A space without heating in the deepest cold may be colder than any coil; one in a furnace hotter than any wet bulb.
        var (low, high) = (Math.Min(ColdestC, entryC), Math.Min(entryC, MoistAir.HottestWetC));
        var t = Math.Clamp(guessC, low, high);
        for (var i = 0; i < MostTries; i++)
        {
            var (ratio, slope) = MoistAir.Saturated(t, pressurePa);
            var step = (enthalpyJkg - MoistAir.Enthalpy(t, ratio))
                / (MoistAir.HeatCapacity(ratio) + (MoistAir.VaporisationJPerKg + 1860 * t) * slope);
            var next = Math.Clamp(t + step, low, high);
            var moved = Math.Abs(next - t);
            t = next;
            if (moved < 1e-7)
                break;
        }
        return t;
    }
}

/// <summary>
/// The coil of a unit beside a room that is followed in time: it remembers where it stood, so that each step is solved in a try or two. The indoor
/// fan follows the cooling down to four tenths of its flow. Not for several threads at once.
/// </summary>
public sealed class RoomCoil(AcUnit unit, double pressurePa)
{
    private double _wetBulbC = 18, _fullC = 10, _lowC = 10;
    private double _airC, _ratio, _fullW, _flowKgS, _enthalpy;

    /// <summary>Minutes of drying that come back when this unit's compressor stops; none for a modulating one.</summary>
    /// <param name="fanOn">The fan runs on.</param>
    public double HeldMin(bool fanOn) => unit.SingleSpeed ? fanOn ? WetCoil.HeldWithFanMin : WetCoil.HeldAtRestMin : 0;

    /// <summary>Wet bulb of the room's air, °C.</summary>
    public double WetBulb(double airC, double ratio) => _wetBulbC = MoistAir.WetBulbNear(airC, ratio, pressurePa, _wetBulbC);

    /// <summary>Takes the room's air and the unit's full cooling in it.</summary>
    public void Enter(double airC, double ratio, double fullW)
    {
        (_airC, _ratio, _fullW) = (airC, ratio, fullW);
        _flowKgS = Capacity.FlowPerWatt * unit.RatedCapacityW / MoistAir.SpecificVolume(airC, ratio, pressurePa) * (1 - WetCoil.BypassFactor);
        _enthalpy = MoistAir.Enthalpy(airC, ratio);
        _fullC = WetCoil.Apparatus(_enthalpy - fullW / _flowKgS, airC, pressurePa, _fullC);
    }

    /// <summary>The coil at a steady cooling, W.</summary>
    public CoilPoint At(double coolingW)
    {
        var share = coolingW / _fullW;
        if (share >= WetCoil.LowestFlow)
            return Point(_fullC, coolingW, _flowKgS * share);
        _lowC = WetCoil.Apparatus(_enthalpy - coolingW / (WetCoil.LowestFlow * _flowKgS), _airC, pressurePa, _lowC);
        return Point(_lowC, coolingW, WetCoil.LowestFlow * _flowKgS);
    }

    /// <summary>Cooling that takes out so much dry heat, averaged over cycles, W.</summary>
    /// <param name="sensibleW">Dry heat.</param>
    /// <param name="fanOn">The fan runs on between cycles.</param>
    public double ForSensible(double sensibleW, bool fanOn)
    {
        var full = At(_fullW).SensibleShare;
        if (unit.SingleSpeed)
        {
            var wanted = sensibleW / full;
            // What comes back from the coil cools as much as it wets: run time and share are settled in turn.
            for (var i = 0; i < 6; i++)
                wanted = sensibleW / (full + (1 - full) * Returned(wanted / _fullW, fanOn));
            return wanted;
        }
        if (sensibleW >= WetCoil.LowestFlow * _fullW * full)
            return sensibleW / full;
        var lowest = unit.MinShare * _fullW;
        var least = At(lowest).SensibleShare;
        if (sensibleW <= lowest * least)
            return sensibleW / least;
        // With the fan at its lowest, dry heat falls in step with the coil's temperature but for the little that drained water takes along.
        var flow = WetCoil.LowestFlow * _flowKgS;
        var t = _airC - sensibleW / (flow * MoistAir.HeatCapacity(_ratio));
        for (var i = 0; i < 3; i++)
            t = (1006 * _airC + 1860 * _ratio * _airC - sensibleW / flow) / MoistAir.HeatCapacity(Math.Min(_ratio, MoistAir.SaturationRatio(t, pressurePa)));
        var saturated = MoistAir.SaturationRatio(t, pressurePa);
        return sensibleW + (saturated >= _ratio ? 0 : flow * (_ratio - saturated) * MoistAir.VaporisationJPerKg);
    }

    /// <summary>The coil's mean over cycles: what comes back in the pauses cools as much as it wets.</summary>
    /// <param name="averageW">Mean cooling.</param>
    /// <param name="runFraction">Share of the time that the compressor runs.</param>
    /// <param name="fanOn">The fan runs on.</param>
    public CoilPoint Mean(double averageW, double runFraction, bool fanOn)
    {
        var steady = unit.SingleSpeed ? _fullW : Math.Max(averageW, unit.MinShare * _fullW);
        var point = At(steady);
        var returned = Returned(runFraction, fanOn);
        return point with
        {
            SensibleShare = point.SensibleShare + (1 - point.SensibleShare) * returned,
            WetKgS = point.WetKgS * averageW / steady * (1 - returned),
        };
    }

    /// <summary>Share of the drying that comes back from a coil that cycles.</summary>
    public double Returned(double runFraction, bool fanOn) =>
        WetCoil.Returned(HeldMin(fanOn), runFraction);

    private CoilPoint Point(double apparatusC, double coolingW, double throughKgS)
    {
        var saturated = MoistAir.SaturationRatio(apparatusC, pressurePa);
        if (saturated >= _ratio)
            return new CoilPoint(1, 0, 0);
        var latent = Math.Min(coolingW, throughKgS * (_ratio - saturated) * MoistAir.VaporisationJPerKg);
        return new CoilPoint(1 - latent / coolingW, latent / MoistAir.VaporisationJPerKg / (_ratio - saturated), saturated);
    }
}
