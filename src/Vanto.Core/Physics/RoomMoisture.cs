namespace Vanto.Core.Physics;

/// <summary>Where the water of a room's air went in a run, kg.</summary>
public sealed record WaterLedger(double AiredKg, double GivenOffKg, double DrainedKg, double CondensedKg, double StoredKg, double ThroughputKg)
{
    private const double Tolerance = 1e-6;

    /// <summary>What does not close, kg; rounding only.</summary>
    public double ResidualKg => AiredKg + GivenOffKg - DrainedKg - CondensedKg - StoredKg;

    /// <summary>True where the water closes to rounding.</summary>
    public bool Closes => Math.Abs(ResidualKg) <= Tolerance * Math.Max(1, ThroughputKg);
}

/// <summary>
/// Humidity ratio of a room through time: air exchanged with outdoors, moisture given off inside, a wet coil, linings and fittings that take water up
/// and give it back. Each step is solved exactly for what is constant in it.
/// </summary>
/// <param name="storeKg">Dry air of the room times what its linings add, kg.</param>
/// <param name="exchangeKgS">Dry air exchanged with outdoors, kg/s.</param>
/// <param name="pressurePa">Of the place.</param>
/// <param name="ratio">Humidity ratio at the start, kg/kg.</param>
public sealed class RoomMoisture(double storeKg, double exchangeKgS, double pressurePa, double ratio)
{
    /// <summary>How much more water air, linings and soft furnishings hold together than the air alone; common practice, 5 to 20.</summary>
    public const double StoreFactor = 10;

    private readonly double _first = ratio;
    private double _outdoorRatio, _gainKgS, _aired, _given, _drained, _condensed, _throughput;

    /// <summary>Humidity ratio now, kg/kg.</summary>
    public double Ratio { get; private set; } = ratio;

    /// <summary>Pressure of the place.</summary>
    public double PressurePa => pressurePa;

    /// <summary>All that moved so far.</summary>
    public WaterLedger Ledger => new(_aired, _given, _drained, _condensed, storeKg * (Ratio - _first), _throughput);

    /// <summary>Fixes what drives the step.</summary>
    /// <param name="outdoorRatio">Outdoors.</param>
    /// <param name="gainW">Latent heat given off inside, W.</param>
    public void Begin(double outdoorRatio, double gainW) => (_outdoorRatio, _gainKgS) = (outdoorRatio, gainW / MoistAir.VaporisationJPerKg);

    /// <summary>Goes a step on; returns the mean latent cooling of the coil, W.</summary>
    /// <param name="seconds">Of the step.</param>
    /// <param name="airC">Air at its end; what it cannot hold falls out on what is cold.</param>
    /// <param name="coilKgS">Air that touches the wet coil, kg/s; none where it is dry.</param>
    /// <param name="coilRatio">Humidity ratio of air saturated at the coil.</param>
    /// <param name="returnedKgS">Water that a standing coil gives back, kg/s.</param>
    public double End(double seconds, double airC, double coilKgS = 0, double coilRatio = 0, double returnedKgS = 0)
    {
        var moved = exchangeKgS + coilKgS;
        var inflow = exchangeKgS * _outdoorRatio + _gainKgS + returnedKgS + coilKgS * coilRatio;
        var changes = moved * seconds / storeKg;
        double mean;
        if (changes > 1e-9)
        {
            var (rest, left) = (inflow / moved, 1 - Math.Exp(-changes));
            mean = rest + (Ratio - rest) * left / changes;
            Ratio += (rest - Ratio) * left;
        }
        else
        {
            var rise = (inflow - moved * Ratio) * seconds / storeKg;
            mean = Ratio + rise / 2;
            Ratio += rise;
        }
        var aired = exchangeKgS * (_outdoorRatio - mean) * seconds;
        var drained = (coilKgS * (mean - coilRatio) - returnedKgS) * seconds;
        _aired += aired;
        _given += _gainKgS * seconds;
        _drained += drained;
        _throughput += Math.Abs(aired) + _gainKgS * seconds + Math.Abs(drained);
        if (airC < MoistAir.HottestC && MoistAir.SaturationRatio(Math.Min(airC, 60), pressurePa) is var most && Ratio > most)
        {
            _condensed += storeKg * (Ratio - most);
            Ratio = most;
        }
        return coilKgS * (mean - coilRatio) * MoistAir.VaporisationJPerKg;
    }
}
