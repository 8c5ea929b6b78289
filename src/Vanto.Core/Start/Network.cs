using System.Numerics;

namespace Vanto.Core.Start;

/// <summary>Amperes and volts at one moment.</summary>
internal readonly record struct NetworkPoint(double SourceA, double CompressorA, double SourceV, double CompressorV, double RealW);

/// <summary>The circuit of source, cable, neighbours and compressor.</summary>
internal sealed class Network(StartCase start)
{
    private static readonly Complex RunningPowerFactor = new(0.80, -0.60);

    private readonly double _e = start.Source.Volts;
    private readonly Complex _source = start.Source.Impedance;
    private readonly Complex _line = start.Line;
    private readonly double _limit = start.Source.LimitA;

    /// <summary>Neighbours as one constant admittance.</summary>
    public Complex Neighbours { get; } = start.Neighbours.Aggregate(Complex.Zero, (sum, load) =>
        sum + new Complex(load.PowerW, -load.PowerW * Math.Tan(Math.Acos(load.PowerFactor))) / (start.Motor.RatedV * start.Motor.RatedV));

    public NetworkPoint AtSpeed(double speed)
    {
        var branch = 1 / (_line + 1 / start.Motor.Admittance(speed));
        var current = _e / (_source + 1 / (Neighbours + branch));
        var e = _e;
        if (current.Magnitude > _limit)
        {
            var fold = _limit / current.Magnitude;
            e *= fold;
            current *= fold;
        }
        var terminal = e - _source * current;
        var motor = terminal * branch;
        return new NetworkPoint(current.Magnitude, motor.Magnitude, terminal.Magnitude, (terminal - _line * motor).Magnitude,
            (terminal * Complex.Conjugate(current)).Real);
    }

    public NetworkPoint AtSoftCurrent(double amperes)
    {
        Complex terminal = _e, motor = 0, current = 0;
        for (var pass = 0; pass < 30; pass++)
        {
            // The current lags the terminal voltage at a power factor of 0.80.
            motor = amperes / terminal.Magnitude * terminal * RunningPowerFactor;
            current = motor + Neighbours * terminal;
            var next = _e - _source * current;
            var settled = Complex.Abs(next - terminal) < 1e-12;
            terminal = next;
            if (settled)
                break;
        }
        var compressor = terminal - _line * motor;
        var fold = current.Magnitude > _limit ? _limit / current.Magnitude : 1;
        return new NetworkPoint(fold * current.Magnitude, fold * motor.Magnitude, fold * terminal.Magnitude, fold * compressor.Magnitude,
            fold * fold * (terminal * Complex.Conjugate(current)).Real);
    }

    /// <summary>Running on at constant power; <paramref name="apparent"/> is P + jQ of the unit's compressor.</summary>
    public NetworkPoint AtConstantPower(Complex apparent)
    {
        Complex terminal = _e, compressor = _e, current = 0, motor = 0;
        for (var pass = 0; pass < 100; pass++)
        {
            motor = Complex.Conjugate(apparent / compressor);
            current = motor + Neighbours * terminal;
            terminal = _e - _source * current;
            var next = terminal - _line * motor;
            var settled = Complex.Abs(next - compressor) < 1e-12;
            compressor = next;
            if (settled)
                break;
        }
        return new NetworkPoint(current.Magnitude, motor.Magnitude, terminal.Magnitude, compressor.Magnitude, (terminal * Complex.Conjugate(current)).Real);
    }
}
