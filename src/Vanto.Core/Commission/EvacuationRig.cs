using Vanto.Core.Physics;

namespace Vanto.Core.Commission;

/// <summary>A stretch that gas is drawn through.</summary>
/// <param name="BoreM">Inside diameter.</param>
/// <param name="LengthM">Length.</param>
public readonly record struct GasWay(double BoreM, double LengthM)
{
    private const double AirViscosity = 1.82e-5;

    /// <summary>
    /// Conductance of a round tube, m³/s, as laminar·p + molecular: both flows added, air at 20 °C (Dushman, Roth, from memory; 10 to 20 % off between).
    /// </summary>
    internal (double Laminar, double Molecular) Flows() =>
        (Math.PI * Math.Pow(BoreM, 4) / (128 * AirViscosity * LengthM), 121 * Math.Pow(BoreM, 3) / LengthM);
}

/// <summary>A pump and its hose at a circuit: what is known before the pump is switched on.</summary>
public sealed record EvacuationSetup
{
    /// <summary>Bore and length of a valve core that stays in; common practice.</summary>
    public static readonly GasWay Core = new(1.2e-3, 0.015);

    public double VolumeM3 { get; init; } = 1.5e-3;

    /// <summary>Speed of the pump by its plate, m³/s.</summary>
    public double PumpM3s { get; init; } = 5 * 4.719474e-4;

    /// <summary>The lowest that the pump reaches by itself, Pa.</summary>
    public double UltimatePa { get; init; } = 2;

    public GasWay Hose { get; init; } = new(4.8e-3, 1.5);
    public bool CoreIn { get; init; }
    public double AmbientPa { get; init; } = 101325;
    public double Kelvin { get; init; } = 293.15;

    /// <summary>Leak at full difference of pressure, Pa·m³/s.</summary>
    public double LeakPaM3s { get; init; }

    /// <summary>Gas that the walls give off one hour after pumping began, Pa·m³/s.</summary>
    public double OutgasPaM3s { get; init; } = 2e-6;

    /// <summary>Free water, kg.</summary>
    public double WaterKg { get; init; }

    /// <summary>Water held by oil and walls, kg.</summary>
    public double BoundKg { get; init; }

    /// <summary>Speed with which gas leaves the circuit, m³/s: the pump's, less what the way there costs.</summary>
    public double EffectiveSpeed(double pressurePa) => Pumped(pressurePa).SpeedM3s;

    /// <summary>The same, and the pressure at the pump.</summary>
    public (double SpeedM3s, double PumpPa) Pumped(double pressurePa)
    {
        if (pressurePa <= UltimatePa)
            return (0, pressurePa);
        var (low, high) = (UltimatePa, pressurePa);
        var (hose, core) = (Hose.Flows(), Core.Flows());
        for (var i = 0; i < 40; i++)
        {
            var at = 0.5 * (low + high);
            var mean = 0.5 * (pressurePa + at);
            var way = hose.Laminar * mean + hose.Molecular;
            if (CoreIn)
                way = 1 / (1 / way + 1 / (core.Laminar * mean + core.Molecular));
            if (way * (pressurePa - at) > PumpM3s * (at - UltimatePa))
                low = at;
            else
                high = at;
        }
        var pump = 0.5 * (low + high);
        return (PumpM3s * (pump - UltimatePa) / pressurePa, pump);
    }
}

/// <summary>
/// A circuit under a pump, followed in time: air, water vapour, free water that cools as it boils, water held in oil and walls. For planning and for
/// the simulated gauge. Conductances from memory (Dushman, Roth); the rest is this product's model.
/// </summary>
public sealed class EvacuationRig(EvacuationSetup s)
{
    public const double StepS = 0.1;
    private const double WaterMass = 0.018015;
    private const double FreeWaterM3s = 1e-3;
    private const double WaterWarmthWK = 0.1;
    private const double BoundSaturatedKg = 2e-4;
    private const double BoundM3s = 1e-5;
    private readonly double _saturationPa = MoistAir.SaturationPressure(s.Kelvin - 273.15);
    private double _airPa = s.AmbientPa, _waterPa, _waterKg = s.WaterKg, _boundKg = s.BoundKg, _waterK = s.Kelvin;

    /// <summary>Since pumping began, s.</summary>
    public double Seconds { get; private set; }

    /// <summary>Pressure in the circuit, Pa.</summary>
    public double Pa => _airPa + _waterPa;

    /// <summary>Goes on by a step of 0.1 s.</summary>
    /// <param name="pumping">The pump's valve is open.</param>
    public void Step(bool pumping)
    {
        var total = Pa;
        var speed = pumping ? s.EffectiveSpeed(total) : 0;
        var leak = s.LeakPaM3s * Math.Max(0, (s.AmbientPa * s.AmbientPa - total * total) / (s.AmbientPa * s.AmbientPa));
        var outgas = s.OutgasPaM3s * 3600 / Math.Max(Seconds, 60);
        _airPa = Relax(_airPa, speed / s.VolumeM3, (leak + outgas) / s.VolumeM3);
        var free = FreeWaterM3s * Math.Min(1, _waterKg / 1e-5);
        var boundPa = _saturationPa * Math.Min(1, _boundKg / BoundSaturatedKg);
        var bound = _boundKg > 0 || _waterPa > 0 ? BoundM3s : 0;
        var waterPa = free > 0 ? MoistAir.SaturationPressure(_waterK - 273.15) : 0;
        var after = Relax(_waterPa, (speed + free + bound) / s.VolumeM3, (free * waterPa + bound * boundPa) / s.VolumeM3);
        var mean = 0.5 * (_waterPa + after);
        var grams = StepS * WaterMass / (Refrigerants.GasConstant * s.Kelvin);
        var boiled = Math.Min(free * (waterPa - mean) * grams, _waterKg);
        _waterKg -= boiled;
        _boundKg = Math.Max(0, _boundKg - bound * (boundPa - mean) * grams);
        if (_waterKg > 0)
            _waterK += (WaterWarmthWK * (s.Kelvin - _waterK) * StepS - (_waterK >= 273.16 ? 2.5e6 : 2.84e6) * boiled) / (Math.Max(_waterKg, 1e-4) * 4186 + 10);
        else
            _waterK = s.Kelvin;
        if (_waterKg < 1e-12)
            _waterKg = 0;
        _waterPa = after;
        Seconds += StepS;
    }

    /// <summary>Seconds of pumping to a pressure; null where it is not reached in time.</summary>
    public static double? SecondsTo(EvacuationSetup setup, double pressurePa, double mostS = 36000)
    {
        var rig = new EvacuationRig(setup);
        while (rig.Pa > pressurePa)
        {
            if (rig.Seconds >= mostS)
                return null;
            rig.Step(pumping: true);
        }
        return rig.Seconds;
    }

    /// <summary>Water that oil and walls hold where a vacuum levels out at a pressure, kg.</summary>
    public static double BoundAt(double levelPa, double celsius) => BoundSaturatedKg * Math.Min(1, levelPa / MoistAir.SaturationPressure(celsius));

    /// <summary>
    /// Seconds of pumping until what oil and walls still hold would level out at a pressure; the gas in the circuit is taken as steady at each moment.
    /// </summary>
    /// <param name="setup">With the bound water at the start.</param>
    /// <param name="levelPa">Where it may level out.</param>
    /// <param name="mostS">Looked at no further.</param>
    public static double? SecondsToDry(EvacuationSetup setup, double levelPa, double mostS = 6 * 3600)
    {
        const double step = 10;
        var (bound, pa, dry) = (setup.BoundKg, 100.0, BoundAt(levelPa, setup.Kelvin - 273.15));
        var saturated = MoistAir.SaturationPressure(setup.Kelvin - 273.15);
        for (var t = 0.0; t < mostS; t += step)
        {
            if (bound <= dry)
                return t;
            var over = saturated * Math.Min(1, bound / BoundSaturatedKg);
            for (var i = 0; i < 3; i++)
                pa = Math.Max(setup.UltimatePa, BoundM3s * over / (setup.EffectiveSpeed(pa) + BoundM3s));
            bound -= BoundM3s * (over - pa) * step * WaterMass / (Refrigerants.GasConstant * setup.Kelvin);
        }
        return null;
    }

    private static double Relax(double x, double rate, double source)
    {
        if (rate == 0)
            return x + source * StepS;
        var end = source / rate;
        return end + (x - end) * Math.Exp(-rate * StepS);
    }
}
