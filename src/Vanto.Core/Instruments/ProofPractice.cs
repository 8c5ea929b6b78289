using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Instruments;

/// <summary>What a practice case may hide.</summary>
public enum HiddenFault
{
    [Called("dry and tight")] DryAndTight, [Called("a leak")] Leak, [Called("wet")] Wet, [Called("wet and leaking")] WetAndLeaking,
    [Called("cannot be told yet")] TooShort,
    [Called("it runs well")] RunsWell, [Called("a service valve is closed")] ValveClosed, [Called("too little refrigerant")] LowCharge,
    [Called("too much refrigerant")] HighCharge, [Called("air in the circuit")] AirInside, [Called("the outdoor coil is dirty")] DirtyCoil,
    [Called("the filter is dirty")] DirtyFilter, [Called("the bank is too weak")] WeakBank,
}

/// <summary>A reading that a case shows.</summary>
public sealed record PracticeReading(string Label, Measure AtTen, Measure AtThirty);

/// <summary>An answer that can be given.</summary>
public sealed record PracticeChoice(HiddenFault Fault, string Words);

/// <summary>A case to judge; what it hides is not in it.</summary>
/// <param name="Number">1 to 20: ten curves, then ten running units.</param>
/// <param name="Question">What is asked.</param>
/// <param name="Curve">Readings of a vacuum that stands; empty for a running unit.</param>
/// <param name="Readings">Of a running unit after ten minutes and after thirty; empty for a curve.</param>
/// <param name="Choices">Answers.</param>
public sealed record PracticeCase(int Number, string Question, IReadOnlyList<CurvePoint> Curve, IReadOnlyList<PracticeReading> Readings,
    IReadOnlyList<PracticeChoice> Choices)
{
    /// <summary>How many cases there are, and how many of them, the first, are curves.</summary>
    public int Cases => ProofPractice.Count;

    /// <inheritdoc cref="Cases"/>
    public int Curves => ProofPractice.Curves;
}

/// <summary>What a case hid.</summary>
/// <param name="Right">The answer was right.</param>
/// <param name="Was">What it hid.</param>
/// <param name="Why">How that is seen.</param>
/// <param name="Machine">What Vanto's own judgement says of it; empty for a running unit.</param>
public sealed record PracticeVerdict(bool Right, string Was, string Why, string Machine);

/// <summary>
/// Twenty cases for the hardest judgements: ten vacuums that stand, ten units that run, made by the simulated instruments from fixed seeds. The way to
/// tell them apart is common practice, no published source.
/// </summary>
public static class ProofPractice
{
    /// <summary>How many there are, and how many of them are curves.</summary>
    public const int Count = 20, Curves = 10;

    private const double WarmC = 20, HoldS = 20 * 60, ShortS = 5.5 * 60, EveryS = 30, VolumeM3 = 1.5e-3;

    private sealed record Hidden(HiddenFault Fault, EvacuationSetup? Circuit = null, UnitScene? Unit = null, double ForS = HoldS);

    private static readonly EvacuationSetup Dry = new() { VolumeM3 = VolumeM3, Hose = new(9.5e-3, 0.9), BoundKg = 1.2e-5 };

    private static readonly Hidden[] Cases =
    [
        new(HiddenFault.Wet, Dry with { BoundKg = 1.4e-4, WaterKg = 2.5e-4 }),
        new(HiddenFault.DryAndTight, Dry),
        new(HiddenFault.Leak, Dry with { LeakPaM3s = 5e-4 }),
        new(HiddenFault.TooShort, Dry with { BoundKg = 1.5e-4 }, ForS: ShortS),
        new(HiddenFault.WetAndLeaking, Dry with { BoundKg = 1e-4, LeakPaM3s = 6e-4 }),
        new(HiddenFault.Leak, Dry with { LeakPaM3s = 2.5e-4 }),
        new(HiddenFault.DryAndTight, Dry with { BoundKg = 4e-6, VolumeM3 = 2.2e-3 }),
        new(HiddenFault.Wet, Dry with { BoundKg = 1.2e-4 }),
        new(HiddenFault.WetAndLeaking, Dry with { BoundKg = 1.3e-4, LeakPaM3s = 9e-4 }),
        new(HiddenFault.DryAndTight, Dry with { BoundKg = 1.6e-5, VolumeM3 = 1.2e-3 }),
        new(HiddenFault.LowCharge, Unit: new UnitScene { Charge = 0.6 }),
        new(HiddenFault.RunsWell, Unit: new UnitScene()),
        new(HiddenFault.DirtyFilter, Unit: new UnitScene { HeadAir = 0.5 }),
        new(HiddenFault.ValveClosed, Unit: new UnitScene { ValveClosed = true }),
        new(HiddenFault.DirtyCoil, Unit: new UnitScene { OutdoorCoil = 0.5 }),
        new(HiddenFault.WeakBank, Unit: new UnitScene { StartCharge = 0.12, BankAh = 100, BankOhm = 0.020 }),
        new(HiddenFault.AirInside, Unit: new UnitScene { AirInCircuitPa = 150_000 }),
        new(HiddenFault.LowCharge, Unit: new UnitScene { Charge = 0.7, CabinC = 31 }),
        new(HiddenFault.HighCharge, Unit: new UnitScene { Charge = 1.35 }),
        new(HiddenFault.RunsWell, Unit: new UnitScene { OutdoorC = 40, CabinC = 36, CabinRhPct = 35 }),
    ];

    /// <summary>A case by its number.</summary>
    /// <exception cref="InputException">No such number.</exception>
    public static PracticeCase Of(int number)
    {
        var hidden = At(number);
        return hidden.Circuit is not null
            ? new PracticeCase(number, "The pump is shut off; the circuit stands. What does it say?",
                [.. Points(number, hidden).Select(p => new CurvePoint(p.Seconds / 60, p.Pa))], [], Choices(HiddenFault.DryAndTight, HiddenFault.TooShort))
            : new PracticeCase(number, "It runs, or should. What is wrong, if anything?", [], Readings(number, hidden.Unit!),
                Choices(HiddenFault.RunsWell, HiddenFault.WeakBank));
    }

    /// <summary>Judges an answer.</summary>
    /// <inheritdoc cref="Of"/>
    public static PracticeVerdict Judge(int number, HiddenFault answer)
    {
        var hidden = At(number);
        var machine = hidden.Circuit is null ? "" : VacuumDecay.Of(Points(number, hidden), WarmC, new DecayLimits { LeastReadings = 8 }) is var judged
            && judged.Finding == DecayFinding.Inconclusive ? $"{Calls.Name(judged.Finding)}: {Calls.Name(judged.Reason)}"
            : FormattableString.Invariant($"{Calls.Name(judged.Finding)}, by {judged.Confidence * 100:0} % of the weight");
        return new PracticeVerdict(answer == hidden.Fault, Calls.Name(hidden.Fault), Why(hidden.Fault), machine);
    }

    private static Hidden At(int number) => number is >= 1 and <= Count ? Cases[number - 1]
        : throw new InputException("case", $"{number}", $"there are cases 1 to {Count}; {number} was asked");

    private static PracticeChoice[] Choices(HiddenFault first, HiddenFault last) =>
        [.. Enum.GetValues<HiddenFault>().Where(f => f >= first && f <= last).Select(f => new PracticeChoice(f, Calls.Name(f)))];

    private static List<VacuumPoint> Points(int number, Hidden hidden)
    {
        var circuit = new SimulatedCircuit(hidden.Circuit!, SimulatedScene.PumpS);
        var gauge = new SimulatedGauge((ulong)number, "vac-1", new GaugeKind(0.01, 0, QuantityTable.PascalsPerMicron, 3, 0.13, 13_000));
        var points = new List<VacuumPoint>();
        gauge.Follow(circuit.Pa, 0);
        for (var next = 0.0; points.Count == 0 || points[^1].Seconds < hidden.ForS - EveryS / 2;)
        {
            circuit.Step();
            gauge.Follow(circuit.Pa, EvacuationRig.StepS);
            if (circuit.Seconds - SimulatedScene.PumpS < next - EvacuationRig.StepS / 2)
                continue;
            if (gauge.Read().Value is { } pa)
                points.Add(new VacuumPoint(Math.Round(circuit.Seconds - SimulatedScene.PumpS), pa));
            next += EveryS;
        }
        return points;
    }

    private static List<PracticeReading> Readings(int number, UnitScene scene)
    {
        var unit = new SimulatedUnit(scene);
        var chance = new SplitMix64((ulong)number);
        List<(string Label, Measure Value)> Now()
        {
            double Noisy(double value, double share) => value * (1 + share * chance.Normal());
            return
            [
                ("suction", new(Noisy(unit.SuctionPa, 0.003) - SeaLevelPa, QuantityKind.GaugePressure)),
                ("discharge", new(Noisy(unit.DischargePa, 0.003) - SeaLevelPa, QuantityKind.GaugePressure)),
                ("the space", new(unit.CabinC + 0.15 * chance.Normal(), QuantityKind.Temperature)),
                ("air out of the head", new(unit.SupplyC + 0.15 * chance.Normal(), QuantityKind.Temperature)),
                ("outdoors", new(scene.OutdoorC, QuantityKind.Temperature)),
                ("watts", new(Math.Max(0, Noisy(unit.AcW, 0.01)), QuantityKind.ElectricPower)),
                ("bank", new(Noisy(unit.BankV, 0.002), QuantityKind.Voltage)),
                ("tripped, times", new(unit.Trips, QuantityKind.Count)),
            ];
        }

        while (unit.Seconds < 600)
            unit.Step();
        var ten = Now();
        while (unit.Seconds < 1800)
            unit.Step();
        return [.. ten.Zip(Now(), (a, b) => new PracticeReading(a.Label, a.Value, b.Value))];
    }

    private const double SeaLevelPa = 101325;

    private static string Why(HiddenFault fault) => fault switch
    {
        HiddenFault.DryAndTight => "It rises a little in the first minutes and then hardly: what the hose and the walls give off, and no more.",
        HiddenFault.Leak => "It rises straight, without bending: air comes in at the same rate whatever stands inside.",
        HiddenFault.Wet => "It rises fast and bends over to a level: water gives off vapour until it stands at its own pressure.",
        HiddenFault.WetAndLeaking => "It bends like a wet one, but does not level out: under the bend a straight rise goes on.",
        HiddenFault.TooShort => "Five minutes bend the same way for a dry one that settles and a wet one that has only begun: hold longer.",
        HiddenFault.RunsWell => "Suction, discharge, split and watts stand where such a unit stands at this heat; it cools as it should.",
        HiddenFault.ValveClosed => "Suction is pulled below the air's pressure, nothing is cooled, it trips: nothing flows.",
        HiddenFault.LowCharge => "The split is small, suction and watts are low, nothing trips: there is too little to boil.",
        HiddenFault.HighCharge => "Discharge and watts are high while suction and the split are right: liquid fills the outdoor coil.",
        HiddenFault.AirInside => "Discharge is high, and it stands above what the refrigerant has at this heat even at rest: something is in it that does not "
            + "condense.",
        HiddenFault.DirtyCoil => "Discharge and watts are far up while the split is right: the heat does not get out.",
        HiddenFault.DirtyFilter => "The air comes out very cold, suction is low, and the space cools slowly: too little air passes.",
        _ => "The bank's volts fall away and all is off after a short while: it cannot hold up the inverter.",
    };
}
