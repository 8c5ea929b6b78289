using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Energy;

/// <summary>The heat-balance model of the rig as the cabin of an energy run; its day repeats.</summary>
public sealed class SpaceCabin : IEnergyCabin
{
    private readonly ThermalSpace _space;
    private readonly SpaceDrivers _drivers;
    private readonly int _firstStep;
    private readonly int _stepsHeld;

    /// <summary>Begins from a settled model.</summary>
    /// <param name="space">The space.</param>
    /// <param name="drivers">Its day, in the run's step or coarser: what drives it then holds over several steps.</param>
    /// <param name="settled">State to begin from.</param>
    /// <param name="wetBulbC">Indoor wet bulb where it is held.</param>
    /// <param name="moisture">The room's moisture where it is followed.</param>
    /// <param name="firstStep">Step of the day that the run begins at.</param>
    /// <param name="stepS">Seconds a step.</param>
    public SpaceCabin(SpaceDescription space, SpaceDrivers drivers, ThermalSpace settled, double wetBulbC, RoomMoisture? moisture, int firstStep,
        double stepS)
    {
        _drivers = drivers;
        _firstStep = firstStep;
        _stepsHeld = Math.Max(1, (int)Math.Round(drivers.StepS / stepS));
        (WetBulbC, Moisture) = (wetBulbC, moisture);
        _space = new ThermalSpace(space);
        _space.Prepare(stepS);
        _space.CopyStateFrom(settled);
    }

    /// <inheritdoc />
    public double AirC => _space.AirC;

    /// <inheritdoc />
    public double WetBulbC { get; }

    /// <inheritdoc />
    public RoomMoisture? Moisture { get; }

    /// <inheritdoc />
    public void Begin(int step, double seconds)
    {
        var k = (_firstStep + step) / _stepsHeld % _drivers.Steps;
        var (convective, radiant) = _drivers.GainSplit(k);
        _space.Begin(_drivers.At(k), _drivers.OutdoorC[k], convective, radiant);
        Moisture?.Begin(_drivers.OutdoorRatio[k], _drivers.LatentW(k));
    }

    /// <inheritdoc />
    public double RequiredSensible(double targetC) => _space.HubB - _space.HubA * targetC;

    /// <inheritdoc />
    public void End(double sensibleW) => _space.End((_space.HubB - sensibleW) / _space.HubA);
}

/// <summary>A cabin of one conductance and one capacity, exact for inputs constant in the step, its wet bulb held; for checks and hand
/// figures.</summary>
public sealed class LumpedCabin(double conductanceWK, double capacityJK, double[] outdoorC, double[] gainsW, double startC, double wetBulbC) : IEnergyCabin
{
    private double _a, _b;

    /// <inheritdoc />
    public double AirC { get; private set; } = startC;

    /// <inheritdoc />
    public double WetBulbC => wetBulbC;

    /// <inheritdoc />
    public RoomMoisture? Moisture => null;

    /// <inheritdoc />
    public void Begin(int step, double seconds)
    {
        var e = Math.Exp(-conductanceWK * seconds / capacityJK);
        _a = conductanceWK / (1 - e);
        _b = _a * (AirC * e + (1 - e) * (outdoorC[step] + gainsW[step] / conductanceWK));
    }

    /// <inheritdoc />
    public double RequiredSensible(double targetC) => _b - _a * targetC;

    /// <inheritdoc />
    public void End(double sensibleW) => AirC = (_b - sensibleW) / _a;
}
