using Vanto.Core.Commission;
using Vanto.Core.Quantities;

namespace Vanto.Core.Instruments;

/// <summary>What is simulated, with its hidden fault.</summary>
public enum SceneKind
{
    [Called("vacuum, dry and tight")] DryCircuit, [Called("vacuum, a slow leak")] SlowLeak, [Called("vacuum, wet")] WetCircuit,
    [Called("vacuum, wet and leaking")] WetAndLeaking, [Called("vacuum, a gauge that jumps and loses messages")] NoisyGauge,
    [Called("nitrogen, tight")] HeldNitrogen, [Called("nitrogen, a leak")] LeakingNitrogen,
    [Called("running well")] Running, [Called("running, a valve closed")] ClosedValve, [Called("running, charge too low")] LowCharge,
    [Called("running, charge too high")] HighCharge, [Called("running, air in the circuit")] AirInside,
    [Called("running, outdoor coil dirty")] DirtyCoil, [Called("running, filter dirty")] DirtyFilter, [Called("running, a weak bank")] WeakBank,
}

/// <summary>
/// Simulated instruments at one scene: vacuum gauge, nitrogen gauge, manifold, clamp meter, air probes and shunt read a circuit or a running unit, with
/// lag, noise and, where the scene has it, a line that loses messages. The same seed gives the same readings.
/// </summary>
public sealed class SimulatedScene
{
    /// <summary>Pumping before the circuit is shut off, s.</summary>
    public const double PumpS = 20 * 60;

    /// <summary>Messages of one instrument in a second of the clock on the wall, at most.</summary>
    private const double MostPerS = 20;

    private static readonly GaugeKind Vacuum = new(0.01, 0, QuantityTable.PascalsPerMicron, 3, 0.13, 2666);
    private static readonly GaugeKind NitrogenGauge = new(0.001, 0, 6900, 0, 0, 5.5e6);
    private static readonly GaugeKind PipeProbe = new(0, 0.3, 0.1, 0, 233.15, 353.15);
    private static readonly GaugeKind Manifold = new(0.003, 0, 1000, 1, -1e5, 5.5e6);
    private static readonly GaugeKind Clamp = new(0.01, 0.02, 0.01, 0, 0, 400);
    private static readonly GaugeKind ClampW = new(0.01, 0, 1, 0, 0, 20_000);
    private static readonly GaugeKind AirProbe = new(0, 0.15, 0.1, 20, 233.15, 353.15);
    private static readonly GaugeKind AirProbeRh = new(0, 0.01, 0.01, 20, 0, 1.05);
    private static readonly GaugeKind Shunt = new(0.002, 0, 0.01, 0, -500, 500);
    private static readonly GaugeKind ShuntCharge = new(0, 0, 0.001, 0, 0, 1);

    private const double VolumeM3 = 1.5e-3, NitrogenPa = 2.7e6, AmbientPa = 101325, WarmK = 303.15, SwingK = 4, DayS = 86400;
    private const double AbsoluteZeroC = -273.15;

    private sealed class Channel(string instrument, InstrumentQuantity quantity, double hertz, SimulatedGauge gauge, Func<double> truth)
    {
        public string Instrument => instrument;
        public InstrumentQuantity Quantity => quantity;
        public SimulatedGauge Gauge => gauge;
        public double Hertz => hertz;
        public double NextS { get; set; }
        public long Seq { get; set; }

        public void Follow(double stepS) => gauge.Follow(truth(), stepS);
    }

    private readonly DateTimeOffset _from;
    private readonly double _rate, _stepS;
    private readonly List<Channel> _channels = [];
    private readonly PriorityQueue<InstrumentReading, double> _delayed = new();
    private readonly Action _step;
    private long _steps;

    /// <param name="kind">What.</param>
    /// <param name="seed">Of its chance.</param>
    /// <param name="from">Moment of its second 0.</param>
    /// <param name="rate">Simulated seconds in a second, 1 to 600: the faster, the fewer readings are sent.</param>
    public SimulatedScene(SceneKind kind, ulong seed, DateTimeOffset from, double rate)
    {
        (Kind, _from, _rate) = (kind, from, rate);
        var noisy = kind == SceneKind.NoisyGauge;
        Channel Add(string instrument, InstrumentQuantity quantity, double hertz, GaugeKind gauge, Func<double> truth, string suffix = "")
        {
            var channel = new Channel(instrument, quantity, hertz, new SimulatedGauge(seed, instrument + suffix, gauge, noisy), truth);
            _channels.Add(channel);
            return channel;
        }

        if (kind <= SceneKind.NoisyGauge)
        {
            var circuit = new SimulatedCircuit(Evacuated(kind), PumpS);
            (_stepS, _step) = (EvacuationRig.StepS, circuit.Step);
            Add("vac-1", InstrumentQuantity.AbsolutePressure, 1, noisy ? Vacuum with { NoiseShare = 0.05 } : Vacuum, () => circuit.Pa);
        }
        else if (kind <= SceneKind.LeakingNitrogen)
        {
            var gas = new SimulatedNitrogen(NitrogenPa + AmbientPa, WarmK, VolumeM3, kind == SceneKind.LeakingNitrogen ? 5e-3 : 0);
            double Around() => WarmK - SwingK * Math.Sin(Math.PI * Seconds / DayS);
            (_stepS, _step) = (SimulatedNitrogen.StepS, () => gas.Step(Around()));
            Add("n2", InstrumentQuantity.GaugePressure, 0.1, NitrogenGauge, () => gas.Pa - AmbientPa);
            Add("n2", InstrumentQuantity.Temperature, 0.1, PipeProbe, Around, "-t");
        }
        else
        {
            var scene = Unit(kind);
            var unit = new SimulatedUnit(scene);
            (_stepS, _step) = (1, unit.Step);
            Add("man-suction", InstrumentQuantity.GaugePressure, 1, Manifold, () => unit.SuctionPa - AmbientPa);
            Add("man-discharge", InstrumentQuantity.GaugePressure, 1, Manifold, () => unit.DischargePa - AmbientPa);
            Add("clamp", InstrumentQuantity.Current, 2, Clamp, () => unit.AcA);
            Add("clamp", InstrumentQuantity.Voltage, 2, Clamp with { NoiseShare = 0.002 }, () => unit.AcV, "-v");
            Add("clamp", InstrumentQuantity.Power, 2, ClampW, () => unit.AcW, "-w");
            void Air(string name, Func<double> celsius, Func<double> rhPct)
            {
                Add(name, InstrumentQuantity.Temperature, 0.2, AirProbe, () => celsius() - AbsoluteZeroC);
                Add(name, InstrumentQuantity.RelativeHumidity, 0.2, AirProbeRh, () => rhPct() / 100, "-rh");
            }

            Air("hygro-return", () => unit.CabinC, () => unit.CabinRhPct);
            Air("hygro-supply", () => unit.SupplyC, () => unit.SupplyRhPct);
            Air("hygro-outdoor", () => scene.OutdoorC, () => scene.OutdoorRhPct);
            Add("shunt", InstrumentQuantity.Voltage, 1, Shunt, () => unit.BankV);
            Add("shunt", InstrumentQuantity.Current, 1, Shunt, () => unit.BankA, "-a");
            Add("shunt", InstrumentQuantity.Charge, 1, ShuntCharge, () => unit.Charge, "-c");
        }
        foreach (var channel in _channels)
            channel.Follow(0);
    }

    public SceneKind Kind { get; }

    /// <summary>Simulated seconds since it began.</summary>
    public double Seconds => _steps * _stepS;

    /// <summary>Instruments in it.</summary>
    public IReadOnlyList<string> Instruments => [.. _channels.Select(c => c.Instrument).Distinct()];

    private static EvacuationSetup Evacuated(SceneKind kind)
    {
        var dry = new EvacuationSetup { VolumeM3 = VolumeM3, Hose = new(9.5e-3, 0.9), BoundKg = 2e-5 };
        return kind switch
        {
            SceneKind.SlowLeak => dry with { LeakPaM3s = 3e-4 },
            SceneKind.WetCircuit => dry with { BoundKg = 1.5e-4, WaterKg = 3e-4 },
            SceneKind.WetAndLeaking => dry with { BoundKg = 1e-4, LeakPaM3s = 6e-4 },
            _ => dry,
        };
    }

    private static UnitScene Unit(SceneKind kind) => kind switch
    {
        SceneKind.ClosedValve => new UnitScene { ValveClosed = true },
        SceneKind.LowCharge => new UnitScene { Charge = 0.6 },
        SceneKind.HighCharge => new UnitScene { Charge = 1.3 },
        SceneKind.AirInside => new UnitScene { AirInCircuitPa = 150_000 },
        SceneKind.DirtyCoil => new UnitScene { OutdoorCoil = 0.5 },
        SceneKind.DirtyFilter => new UnitScene { HeadAir = 0.5 },
        SceneKind.WeakBank => new UnitScene { StartCharge = 0.12, BankAh = 100, BankOhm = 0.020 },
        _ => new UnitScene(),
    };

    /// <summary>Goes on to a moment and gives what was sent until then, in the order in which it is sent.</summary>
    public IEnumerable<InstrumentReading> Until(double seconds)
    {
        while (Seconds + _stepS <= seconds + 1e-9)
        {
            _step();
            _steps++;
            foreach (var channel in _channels)
            {
                channel.Follow(_stepS);
                if (Seconds + 1e-9 < channel.NextS)
                    continue;
                channel.NextS += Math.Max(1 / channel.Hertz, _rate / MostPerS);
                var sample = channel.Gauge.Read();
                var reading = new InstrumentReading(channel.Instrument, channel.Quantity, sample.Value, _from.AddSeconds(Seconds), channel.Seq++,
                    sample.Quality, Simulated: true, _rate);
                if (sample.Dropped)
                    continue;
                _delayed.Enqueue(reading, Seconds + sample.DelayS);
                if (sample.Twice)
                    _delayed.Enqueue(reading, Seconds + sample.DelayS);
            }
            while (_delayed.TryPeek(out _, out var due) && due <= Seconds + 1e-9)
                yield return _delayed.Dequeue();
        }
    }
}
