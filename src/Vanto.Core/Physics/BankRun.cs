namespace Vanto.Core.Physics;

/// <summary>
/// A bank on its way through a run of equal steps. Between two points of its curves voltage and resistance are straight lines, so that the
/// current of a step of constant power is the root of one quadratic; a step that crosses a point, or drains lead faster than its rate, is
/// left to <see cref="BatteryBank.Step"/>. Both agree to rounding.
/// </summary>
public sealed class BankRun
{
    private readonly BatteryBank _bank;
    private readonly double[] _points;
    private readonly double[] _voltage, _voltageSlope, _ohm, _ohmSlope;
    private readonly double _seconds, _socPerAmp, _gain;
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
        _gain = bank.Cell.CoulombicEfficiency;
        _peukert = bank.Cell.Peukert != 1;
        _points = bank.Cell.SocPoints;
        var count = _points.Length - 1;
        (_voltage, _voltageSlope, _ohm, _ohmSlope) = (new double[count], new double[count], new double[count], new double[count]);
        for (var i = 0; i < count; i++)
        {
            var width = _points[i + 1] - _points[i];
            _voltage[i] = bank.OpenCircuitVoltage(_points[i]);
            _voltageSlope[i] = (bank.OpenCircuitVoltage(_points[i + 1]) - _voltage[i]) / width;
            _ohm[i] = bank.Resistance(_points[i]);
            _ohmSlope[i] = (bank.Resistance(_points[i + 1]) - _ohm[i]) / width;
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
        var most = powerW / Voltage;
        if (most <= _bank.ChargeAcceptance(Soc) && Soc + _gain * most * _socPerAmp <= 1)
            return powerW;
        return Math.Min(powerW, _bank.MaxCharge(Soc, _seconds).PowerW);
    }

    /// <summary>Takes a step at a constant power, W, positive charging. False, and nothing moves, when a discharge is more than the bank gives down to a floor.</summary>
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
        if (charging || !_peukert)
        {
            var socPerAmp = charging ? _gain * _socPerAmp : -_socPerAmp;
            // P = I·(V + ½·dV/ds·Δs) + R·I², current positive charging; Δs in proportion to I.
            var square = Ohm + 0.5 * _voltageSlope[_segment] * Math.Abs(socPerAmp);
            var root = Voltage * Voltage + 4 * square * powerW;
            if (root < 0)
                return false;
            var current = charging ? 2 * powerW / (Voltage + Math.Sqrt(root)) : -2 * powerW / (Voltage + Math.Sqrt(root));
            var next = Soc + socPerAmp * current;
            if (next >= _points[_segment] && next <= _points[_segment + 1])
            {
                if (!charging && (next < floor - 1e-12 || current > MostA()))
                    return false;
                var mean = Voltage + 0.5 * _voltageSlope[_segment] * (next - Soc);
                lossW = current * current * Ohm + (charging ? (1 - _gain) * current * mean : 0);
                MoveTo(next);
                return true;
            }
        }
        return TryLongStep(powerW, charging, floor, out lossW);
    }

    private double MostA() => (1 + 1e-12) * Math.Min(_bank.ContinuousA, Math.Min((Voltage - _bank.CutOffVoltage) / Ohm, Voltage / (2 * Ohm)));

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
