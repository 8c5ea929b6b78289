using Vanto.Core.Commission;
using Vanto.Core.Physics;

namespace Vanto.Core.Instruments;

/// <summary>What a simulated gauge adds to what is true: lag, noise, resolution, and what the line does to its messages.</summary>
/// <param name="NoiseShare">One standard deviation, share of the value.</param>
/// <param name="NoiseFloor">And in its own unit.</param>
/// <param name="Resolution">Smallest step.</param>
/// <param name="LagS">Time constant.</param>
/// <param name="Least">Of its range.</param>
/// <param name="Most">Of its range.</param>
public sealed record GaugeKind(double NoiseShare, double NoiseFloor, double Resolution, double LagS, double Least, double Most);

/// <summary>What a simulated gauge makes of one moment.</summary>
/// <param name="Value">Nothing where it is out of range.</param>
/// <param name="Dropped">The message is lost.</param>
/// <param name="Twice">It comes twice.</param>
/// <param name="DelayS">It comes so much later.</param>
public readonly record struct GaugeSample(double? Value, ReadingQuality Quality, bool Dropped, bool Twice, double DelayS);

/// <summary>
/// One channel of a simulated instrument. Every sample draws the same numbers whatever happens, so that a seed gives one series. The gauges are this
/// product's own, of the usual kind; no maker's.
/// </summary>
public sealed class SimulatedGauge
{
    private const double DropShare = 0.10, TwiceShare = 0.05, LateShare = 0.05, MostDelayS = 5;

    private readonly SplitMix64 _chance;
    private readonly GaugeKind _kind;
    private readonly bool _faulty;
    private double? _lagged;

    /// <param name="scenarioSeed">Of the whole scene.</param>
    /// <param name="channel">Name of the instrument.</param>
    /// <param name="kind">What it is.</param>
    /// <param name="faulty">The line loses, doubles and delays messages.</param>
    public SimulatedGauge(ulong scenarioSeed, string channel, GaugeKind kind, bool faulty = false)
    {
        (_chance, _kind, _faulty) = (new SplitMix64(scenarioSeed ^ Fnv1A(channel)), kind, faulty);
    }

    /// <summary>FNV-1a, 64 bit (published): a name as a seed.</summary>
    public static ulong Fnv1A(string text)
    {
        var hash = 0xcbf29ce484222325;
        foreach (var b in System.Text.Encoding.UTF8.GetBytes(text))
            hash = (hash ^ b) * 0x100000001b3;
        return hash;
    }

    /// <summary>Follows what is true for a step: an exact exponential.</summary>
    public void Follow(double truth, double stepS) =>
        _lagged = _lagged is { } before && _kind.LagS > 0 ? truth + (before - truth) * Math.Exp(-stepS / _kind.LagS) : truth;

    /// <summary>Reads.</summary>
    public GaugeSample Read()
    {
        var g = _chance.Normal();
        var (drop, twice, late, delay) = (_chance.Uniform(), _chance.Uniform(), _chance.Uniform(), _chance.Uniform());
        var value = (_lagged ?? 0) * (1 + _kind.NoiseShare * g) + _kind.NoiseFloor * g;
        var shown = Math.Round(value / _kind.Resolution) * _kind.Resolution;
        var quality = shown > _kind.Most ? ReadingQuality.OverRange : shown < _kind.Least ? ReadingQuality.UnderRange : ReadingQuality.Good;
        return new GaugeSample(quality == ReadingQuality.Good ? shown : null, quality, _faulty && drop < DropShare, _faulty && twice < TwiceShare,
            _faulty && late < LateShare ? delay * MostDelayS : 0);
    }
}

/// <summary>A circuit under the pump, then shut off, with what the hose gives off after it is shut.</summary>
public sealed class SimulatedCircuit(EvacuationSetup setup, double pumpS)
{
    private const double HosePa = 5, HoseS = 8;

    private readonly EvacuationRig _rig = new(setup);

    public double Seconds => _rig.Seconds;

    /// <summary>The pump is shut off.</summary>
    public bool Shut => Seconds >= pumpS - EvacuationRig.StepS / 2;

    /// <summary>What a gauge at the circuit would settle at, Pa.</summary>
    public double Pa => _rig.Pa + (Shut ? HosePa * (1 - Math.Exp(-(Seconds - pumpS) / HoseS)) : 0);

    /// <summary>Goes on by 0.1 s.</summary>
    public void Step() => _rig.Step(pumping: !Shut);
}

/// <summary>Nitrogen that stands in the pipes: it follows the pipe's temperature, and leaks.</summary>
public sealed class SimulatedNitrogen
{
    public const double StepS = 10;
    private const double LagS = 300;

    private readonly double _volumeM3, _leakPaM3s, _ambientPa, _startPa;
    private double _amount, _gasK;

    /// <param name="startPa">Absolute.</param>
    /// <param name="startK">Of pipe and gas.</param>
    /// <param name="volumeM3">Of the pipes.</param>
    /// <param name="leakPaM3s">At the start.</param>
    /// <param name="ambientPa">Outside.</param>
    public SimulatedNitrogen(double startPa, double startK, double volumeM3, double leakPaM3s, double ambientPa = 101325)
    {
        (_volumeM3, _leakPaM3s, _ambientPa, _startPa) = (volumeM3, leakPaM3s, ambientPa, startPa);
        (_amount, _gasK) = (startPa / startK, startK);
    }

    /// <summary>Absolute, Pa.</summary>
    public double Pa => _amount * _gasK;

    /// <summary>Goes on by ten seconds.</summary>
    /// <param name="ambientK">Around the pipe.</param>
    public void Step(double ambientK)
    {
        var leak = _leakPaM3s * (Pa * Pa - _ambientPa * _ambientPa) / (_startPa * _startPa - _ambientPa * _ambientPa);
        _amount -= leak / (_volumeM3 * _gasK) * StepS;
        _gasK = ambientK + (_gasK - ambientK) * Math.Exp(-StepS / LagS);
    }
}
