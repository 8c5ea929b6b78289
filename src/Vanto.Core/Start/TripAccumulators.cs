using Vanto.Core.Supply;

namespace Vanto.Core.Start;

/// <summary>Everything that can end a start, added up step by step; each trips when it reaches 1.</summary>
internal sealed class TripAccumulators(StartCase start)
{
    private const double StepS = StartSimulation.StepS;

    /// <summary>A soft starter gives up below this share of the rated voltage; common practice.</summary>
    private const double AbortShare = 0.85;

    /// <summary>It looks from this time on, s.</summary>
    private const double AbortDelayS = 0.020;
    private static readonly (double VoltsPer12, double DelayS)[] DcCutOffs = [(10.5, 10), (9.5, 0.050)];

    private readonly PowerSource _source = start.Source;
    private readonly double[] _dcTimer = new double[DcCutOffs.Length];
    private double _overload, _breakerMax, _breakerMin, _battery, _collapseS;

    // What a step of the last point adds: while a soft starter holds its current, one step is like the other.
    private NetworkPoint _last;
    private double _perOverload, _perBreakerMin, _perBreakerMax, _perBattery;
    private (double CurrentA, double Voltage)? _sag;

    public TripCause Cause { get; private set; }
    public double SurgeUsed => Math.Max(_overload, _breakerMin);
    public double BatteryUsed => _battery;
    public bool MayTrip => _breakerMin >= 1;
    public double? MinDcV { get; private set; }
    public double? MaxDcA { get; private set; }

    public (double Volts, double Amps) Add(in NetworkPoint point, double time, bool soft)
    {
        if (point != _last)
            Take(point);
        AddSource(point);
        var dc = _source.Dc is { } side ? AddDc(side) : default;
        if (soft && time > AbortDelayS && point.CompressorV < AbortShare * start.Motor.RatedV)
            Trip(TripCause.SoftStarterAborts);
        return dc;
    }

    /// <summary>True: the breaker trips at once; false: it may; null: it holds.</summary>
    public bool? MagneticTrip(double peakA)
    {
        if (_source.Class != SourceClass.Shore)
            return null;
        var multiple = peakA / (Math.Sqrt(2) * _source.BreakerA);
        var (may, must) = _source.MagneticBand();
        return multiple >= must ? true : multiple >= may ? false : null;
    }

    /// <summary>Takes a point of the network: what one step of it adds to each of what can trip.</summary>
    private void Take(in NetworkPoint point)
    {
        _last = point;
        if (_source.Curve is { } curve)
            _perOverload = StepS / curve.AllowedSeconds(_source.IsEngineLimited ? point.RealW / _source.ContinuousW : point.SourceA / _source.ContinuousA);
        if (_source.Class == SourceClass.Shore)
        {
            var (min, max) = _source.BreakerBands();
            var multiple = point.SourceA / _source.BreakerA;
            _perBreakerMin = StepS / min.AllowedSeconds(multiple);
            _perBreakerMax = StepS / max.AllowedSeconds(multiple);
        }
        if (_source.Dc is { } side)
        {
            _sag = side.Bank.Sag(side.Soc, side.Inverter.DcPower(point.RealW), side.CableOhm);
            if (_sag is { } dc && side.Bank.HasManagementBoard)
                _perBattery = StepS / BearingCurve.ManagementBoard.AllowedSeconds(dc.CurrentA / side.Bank.ContinuousA);
        }
    }

    private void AddSource(in NetworkPoint point)
    {
        if (_source.Curve is not null)
        {
            _overload += _perOverload;
            if (_overload >= 1 - 1e-9)
                Trip(_source.IsEngineLimited ? TripCause.EngineOverload : TripCause.SourceOverload);
            _collapseS = point.SourceV < _source.CollapseShare * _source.Volts ? _collapseS + StepS : 0;
            if (_collapseS >= _source.CollapseDelayS - 1e-9)
                Trip(TripCause.VoltageCollapse);
        }
        if (_source.Class != SourceClass.Shore)
            return;
        _breakerMin += _perBreakerMin;
        _breakerMax += _perBreakerMax;
        if (_breakerMax >= 1)
            Trip(TripCause.BreakerThermal);
    }

    private (double Volts, double Amps) AddDc(DcSide side)
    {
        if (_sag is not { } dc)
        {
            Trip(TripCause.BatteryCollapse);
            return default;
        }
        MinDcV = Math.Min(MinDcV ?? double.PositiveInfinity, dc.Voltage);
        MaxDcA = Math.Max(MaxDcA ?? 0, dc.CurrentA);
        if (side.Bank.HasManagementBoard)
        {
            _battery += _perBattery;
            if (_battery >= 1)
                Trip(TripCause.BatteryOverCurrent);
        }
        for (var i = 0; i < DcCutOffs.Length; i++)
        {
            _dcTimer[i] = dc.Voltage < DcCutOffs[i].VoltsPer12 * side.Bank.NominalVoltage / 12 ? _dcTimer[i] + StepS : 0;
            if (_dcTimer[i] >= DcCutOffs[i].DelayS - 1e-9)
                Trip(TripCause.DcUnderVoltage);
        }
        return (dc.Voltage, dc.CurrentA);
    }

    private void Trip(TripCause cause) => Cause = Cause == TripCause.None ? cause : Cause;

    /// <summary>True when a DC voltage is under the higher of the inverter's cut-offs.</summary>
    public static bool UnderDcCutOff(double volts, double nominalV) => volts < DcCutOffs[0].VoltsPer12 * nominalV / 12;
}
