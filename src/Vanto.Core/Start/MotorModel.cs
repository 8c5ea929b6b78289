using MathNet.Numerics.Integration;
using System.Numerics;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>What a compressor asks of its motor while it starts.</summary>
public enum StartLoad
{
    /// <summary>As in its first seconds: pressure builds over a minute.</summary>
    [Called("of the first seconds")] FirstSeconds,

    /// <summary>As when it runs: full pressure at once.</summary>
    [Called("as when it runs")] Running,
}

/// <summary>
/// Single-phase capacitor-run compressor motor from its plate, as a balanced two-winding machine with a starting-torque factor
/// (definition of this model). Speeds as a share of synchronous speed, torques in synchronous watts, impedances in Ω.
/// </summary>
public sealed class MotorModel
{
    /// <summary>Starting torque of a plain motor against a balanced one.</summary>
    public const double PlainStart = 0.35;

    /// <summary>Starting torque with a hard-start kit; common practice.</summary>
    public const double HardStart = 1.20;

    /// <summary>Starting torque with a soft starter, whose capacitor shifts the phase; common practice, 1.5 to 3.</summary>
    public const double SoftStart = 2.2;

    private const double EqualisingS = 180;

    /// <summary>Torque against the running one at standstill and what speed adds to it: pressures equal, and right after a stop; common practice.</summary>
    private static readonly (double Still, double Speed) Equal = (0.15, 0.30), Unequal = (0.6, 0.4);

    private readonly StartLoad _load;

    private MotorModel(double ratedV, double lraA, double rlaA, double powerFactorRun, StartLoad load)
    {
        _load = load;
        RatedV = ratedV;
        LraA = lraA;
        RlaA = rlaA;
        PowerFactorRun = powerFactorRun;
    }

    public double RatedV { get; }
    public double LraA { get; }
    public double RlaA { get; }
    public double PowerFactorRun { get; }
    public double R1 { get; private init; }
    public double R2 { get; private init; }
    public double X { get; private init; }

    /// <summary>Shunt susceptance, S, that makes the running current exactly RLA.</summary>
    public double Susceptance { get; private init; }

    /// <summary>Running speed.</summary>
    public double RunSpeed { get; private init; }

    /// <summary>Running torque, W.</summary>
    public double RunTorqueW { get; private init; }

    /// <summary>Inertia, W·s, that makes the start at full voltage take the plate's start time.</summary>
    public double InertiaWs { get; private init; }

    /// <summary>Start time at full voltage, s.</summary>
    public double StartTimeS { get; private init; }

    /// <summary>Finds the model from the plate.</summary>
    /// <param name="ratedV">50 to 500 V.</param>
    /// <param name="lraA">Locked-rotor amperes, at least 2.5 × RLA.</param>
    /// <param name="rlaA">Running amperes.</param>
    /// <param name="powerFactorLocked">Power factor with the rotor locked.</param>
    /// <param name="powerFactorRun">Power factor running.</param>
    /// <param name="startTimeS">Start time at full voltage.</param>
    /// <param name="load">What the compressor asks of it; the inertia is found with the same load.</param>
    /// <exception cref="InputException">LRA and RLA do not belong together.</exception>
    public static MotorModel FromNameplate(double ratedV, double lraA, double rlaA, double powerFactorLocked = 0.80, double powerFactorRun = 0.97,
        double startTimeS = 0.25, StartLoad load = StartLoad.FirstSeconds)
    {
        if (lraA < AcUnit.LeastLockedRotor * rlaA)
            throw new InputException("lraA", Phrase.Of($"{lraA:Current}"),
                Phrase.Of($"LRA = {lraA:Current}: must be at least {AcUnit.LeastLockedRotor:Number} × RLA ({AcUnit.LeastLockedRotor * rlaA:Current}); "
                    + $"LRA and RLA do not belong together"));
        var z = ratedV / lraA;
        var total = z * powerFactorLocked;
        var x = z * Math.Sqrt(1 - powerFactorLocked * powerFactorLocked);
        var r2 = 0.30 * total;
        var r1 = total - r2;
        var power = ratedV * rlaA * powerFactorRun;
        var v2 = ratedV * ratedV;
        var root = v2 * v2 - 4 * power * power * x * x;
        if (root < 0)
            throw new InputException("lraA", $"{lraA} A", "LRA and RLA do not belong together");
        var a = (v2 + Math.Sqrt(root)) / (2 * power);
        var slip = r2 / (a - r1);
        var speed = 1 - slip;
        var rotor2 = v2 / (a * a + x * x);
        var plain = new MotorModel(ratedV, lraA, rlaA, powerFactorRun, load)
        {
            R1 = r1,
            R2 = r2,
            X = x,
            RunSpeed = speed,
            RunTorqueW = rotor2 * r2 / slip,
            Susceptance = (ratedV * rlaA * Math.Sqrt(1 - powerFactorRun * powerFactorRun) - rotor2 * x) / (v2 * speed),
            StartTimeS = startTimeS,
        };
        return plain.WithInertia(startTimeS);
    }

    /// <summary>Admittance at a speed of 0 to just under 1, S.</summary>
    public Complex Admittance(double speed) =>
        1 / new Complex(R1 + R2 / (1 - speed), X) - new Complex(0, Susceptance * speed);

    /// <summary>Motor torque at a voltage and speed, W.</summary>
    public double Torque(double volts, double speed, double startFactor)
    {
        var a = R2 / (1 - speed);
        var factor = startFactor + (1 - startFactor) * Math.Min(1, speed / 0.75);
        return factor * volts * volts * a / ((R1 + a) * (R1 + a) + X * X);
    }

    /// <summary>Load torque at a speed, W; pressures are equal 180 s after the compressor stopped.</summary>
    public double LoadTorque(double speed, double secondsOff)
    {
        var unequal = Math.Max(0, 1 - secondsOff / EqualisingS);
        var ratio = speed / RunSpeed;
        if (_load == StartLoad.Running)
        {
            var breakaway = 0.15 + 1.05 * unequal;
            return RunTorqueW * (breakaway + (1 - breakaway) * ratio * ratio);
        }
        var still = Equal.Still + (Unequal.Still - Equal.Still) * unequal;
        return RunTorqueW * (still + (Equal.Speed + (Unequal.Speed - Equal.Speed) * unequal) * ratio * ratio);
    }

    private MotorModel WithInertia(double startTime)
    {
        const int intervals = 400;
        double SecondsPerSpeed(double speed) => 1 / (Torque(RatedV, speed, PlainStart) - LoadTorque(speed, double.PositiveInfinity));
        var seconds = SimpsonRule.IntegrateComposite(SecondsPerSpeed, 0, 0.95 * RunSpeed, intervals);
        return new MotorModel(RatedV, LraA, RlaA, PowerFactorRun, _load)
        {
            R1 = R1,
            R2 = R2,
            X = X,
            RunSpeed = RunSpeed,
            RunTorqueW = RunTorqueW,
            Susceptance = Susceptance,
            StartTimeS = startTime,
            InertiaWs = startTime / seconds,
        };
    }
}
