namespace Vanto.Core.Supply;

/// <summary>
/// A bank on its way through a run of equal steps. Between two points of its curves voltage is a straight line, so that the charge at which
/// a step of constant power ends is the root of one quadratic, tried segment by segment; only a step that drains lead faster than its rate
/// is left to <see cref="BatteryBank.Step"/>. Both agree to rounding.
/// </summary>
public sealed class BankRun
{
    private readonly BatteryBank _bank;
    private readonly double[] _points;
    private readonly double[] _voltage, _voltageSlope, _ohm, _ohmSlope;

    /// <summary>Voltage integrated over the charge from empty to each point, V.</summary>
    private readonly double[] _integral;
    private const double Rounding = 1 + 1e-12;

    private readonly double _seconds, _socPerAmp, _ampPerSoc, _gain, _mostA, _cutOffV;
    private readonly bool _peukert;
    private int _segment;

    /// <summary>Begins at a state of charge.</summary>
    /// <param name="bank">The bank.</param>
    /// <param name="soc">State of charge, 0 to 1.</param>
    /// <param name="seconds">Length of a step.</param>
    public BankRun(BatteryBank bank, double soc, double seconds)
    {
        _bank = bank;
        _seconds = seconds;
        _socPerAmp = seconds / (3600 * bank.CapacityAh);
        _ampPerSoc = 1 / _socPerAmp;
        (_mostA, _cutOffV) = (Rounding * bank.ContinuousA, bank.CutOffVoltage);
        _gain = bank.Cell.CoulombicEfficiency;
        _peukert = bank.Cell.Peukert != 1;
        _points = bank.Cell.SocPoints;
        var count = _points.Length - 1;
        (_voltage, _voltageSlope, _ohm, _ohmSlope) = (new double[count], new double[count], new double[count], new double[count]);
        _integral = new double[count + 1];
        for (var i = 0; i < count; i++)
        {
            var width = _points[i + 1] - _points[i];
            _voltage[i] = bank.OpenCircuitVoltage(_points[i]);
            _voltageSlope[i] = (bank.OpenCircuitVoltage(_points[i + 1]) - _voltage[i]) / width;
            _ohm[i] = bank.Resistance(_points[i]);
            _ohmSlope[i] = (bank.Resistance(_points[i + 1]) - _ohm[i]) / width;
            _integral[i + 1] = _integral[i] + (_voltage[i] + 0.5 * _voltageSlope[i] * width) * width;
        }
        MoveTo(soc);
    }

    /// <summary>State of charge.</summary>
    public double Soc { get; private set; }

    /// <summary>Voltage without load at this charge, V.</summary>
    public double Voltage { get; private set; }

    /// <summary>Resistance at this charge, Ω.</summary>
    public double Ohm { get; private set; }

    /// <summary>Back to a state of charge.</summary>
    public void MoveTo(double soc)
    {
        var i = _segment;
        while (i > 0 && soc < _points[i])
            i--;
        while (i < _voltage.Length - 1 && soc > _points[i + 1])
            i++;
        _segment = i;
        Soc = soc;
        var into = soc - _points[i];
        Voltage = _voltage[i] + _voltageSlope[i] * into;
        Ohm = _ohm[i] + _ohmSlope[i] * into;
    }

    /// <summary>Power that the bank takes at most in a step, W, where a wish may be above it; the wish itself where it surely is not.</summary>
    public double Acceptable(double powerW)
    {
        // Charging lifts the voltage: the current is below power over resting voltage.
        var most = Math.Min(_bank.ChargeAcceptance(Soc), (1 - Soc) * _ampPerSoc / _gain);
        if (powerW <= most * Voltage)
            return powerW;
        var current = most;
        var next = Math.Min(1, Soc + _gain * current * _socPerAmp);
        var mean = next - Soc < 1e-12 ? Voltage : (Integral(next) - Integral(Soc, _segment)) / (next - Soc);
        return Math.Min(powerW, current * (mean + current * Ohm));
    }

    /// <summary>
    /// Takes a step at a constant power, W, positive charging. False, and nothing moves, when a discharge is more than the bank gives down to a floor.
    /// </summary>
    /// <param name="powerW">Limited by <see cref="Acceptable"/> where it charges.</param>
    /// <param name="floor">Lowest state of charge of a discharge.</param>
    /// <param name="lossW">Heat of the step.</param>
    public bool TryStep(double powerW, double floor, out double lossW)
    {
        lossW = 0;
        if (powerW == 0)
            return true;
        var charging = powerW > 0;
        if (!charging && Soc <= floor)
            return false;
        var socPerAmp = charging ? _gain * _socPerAmp : _socPerAmp;
        var start = Integral(Soc, _segment);
        var next = End(powerW, socPerAmp, charging, start);
        if (double.IsNaN(next) || next > 1)
            return TryLongStep(powerW, charging, floor, out lossW);
        var moved = next - Soc;
        var current = charging ? moved * _ampPerSoc / _gain : -moved * _ampPerSoc;
        if (!charging && _peukert && _bank.EffectiveCurrent(current) > current)
            return TryLongStep(powerW, charging, floor, out lossW);
        if (!charging && (next < floor - 1e-12 || !Gives(current)))
            return false;
        lossW = current * current * Ohm;
        MoveTo(next);
        // Charge that is not kept, at the mean voltage of the step: current times voltage is its integral over the charge moved.
        if (charging)
            lossW += (1 - _gain) * (Integral(next, _segment) - start) * _ampPerSoc / _gain;
        return true;
    }

    /// <summary>
    /// Charge at the end of a step, d = next − soc in proportion to the current: σ²·P = σ·∫V ds + R·d², quadratic within a segment. Not a
    /// number where
    /// no root is left: more than the bank can give, or past the ends of its curve.
    /// </summary>
    private double End(double powerW, double socPerAmp, bool charging, double start)
    {
        var i = _segment;
        var from = Soc;
        var target = socPerAmp * socPerAmp * powerW;
        while (true)
        {
            // The point the segment is entered at: the charge itself at first, then the point crossed.
            var moved = from - Soc;
            var (level, slope) = (_voltage[i] + _voltageSlope[i] * (from - _points[i]), _voltageSlope[i]);
            var a = Ohm + 0.5 * socPerAmp * slope;
            var b = 2 * Ohm * moved + socPerAmp * level;
            var c = Ohm * moved * moved + socPerAmp * (Integral(from, i) - start) - target;
            var root = b * b - 4 * a * c;
            if (root < 0)
                return double.NaN;
            var next = from - 2 * c / (b + Math.Sqrt(root));
            if (next >= _points[i] && next <= _points[i + 1])
                return next;
            (from, i) = charging ? (_points[i + 1], i + 1) : (_points[i], i - 1);
            if (i < 0 || i >= _voltage.Length)
                return double.NaN;
        }
    }

    private double Integral(double soc)
    {
        var i = _segment;
        while (i > 0 && soc < _points[i])
            i--;
        while (i < _voltage.Length - 1 && soc > _points[i + 1])
            i++;
        return Integral(soc, i);
    }

    private double Integral(double soc, int segment)
    {
        var into = soc - _points[segment];
        return _integral[segment] + (_voltage[segment] + 0.5 * _voltageSlope[segment] * into) * into;
    }

    /// <summary>Within the rating, above the cut-off voltage and short of the most a source of this resistance gives.</summary>
    private bool Gives(double current) =>
        current <= _mostA && current * Ohm <= Rounding * (Voltage - _cutOffV) && 2 * current * Ohm <= Rounding * Voltage;

    private bool TryLongStep(double powerW, bool charging, double floor, out double lossW)
    {
        lossW = 0;
        if (!charging && -powerW > _bank.MaxDischarge(Soc, _seconds, floor).PowerW + 1e-9)
            return false;
        var step = _bank.Step(Soc, powerW, _seconds);
        lossW = step.LossW;
        MoveTo(step.Soc);
        return true;
    }
}
