using Vanto.Core.Commission;
using Vanto.Core.Instruments;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Tests.Instruments;

/// <summary>
/// The simulated instruments against figures worked out apart from this code, by a second implementation of the same model; from memory, no published
/// source. The generator's words and FNV-1a are published.
/// </summary>
public class SimulatedTests
{
    private const double Percent = 0.01;

    [Fact]
    public void A_channel_has_its_own_chance_by_its_name()
    {
        SimulatedGauge.Fnv1A("").ShouldBe(0xcbf29ce484222325);
        SimulatedGauge.Fnv1A("a").ShouldBe(0xaf63dc4c8601ec8c);
        SimulatedGauge.Fnv1A("foobar").ShouldBe(0x85944171f73967e8);
        SimulatedGauge.Fnv1A("vac-1").ShouldBe(0xb9135c9452dd166f);
    }

    /// <summary>Scene seed 1, channel vac-1: the first four draws, and which of twenty messages the line loses or delays.</summary>
    [Fact]
    public void One_seed_gives_one_series_with_its_losses()
    {
        var gauge = new SimulatedGauge(1, "vac-1", new GaugeKind(1, 0, 1e-9, 0, -1e9, 1e9), faulty: true);
        gauge.Follow(1, 0);
        var samples = Enumerable.Range(0, 20).Select(_ => gauge.Read()).ToList();
        double[] drawn = [-1.355723, 0.556069, 0.199610, 0.317545];
        for (var i = 0; i < drawn.Length; i++)
            (samples[i].Value!.Value - 1).ShouldBe(drawn[i], 1e-5);
        samples.Select((s, i) => (s, i)).Where(x => x.s.Dropped).Select(x => x.i).ShouldBe([1]);
        samples[2].DelayS.ShouldBe(4.402, 0.001);
        samples[12].DelayS.ShouldBe(0.878, 0.001);
        samples.Count(s => s.DelayS > 0).ShouldBe(2);
    }

    [Theory]
    [InlineData(5e-4, -6.0, 86400, 3600, 2855608)]
    [InlineData(5e-4, -6.0, 86400, 86400, 2767468)]
    [InlineData(0, -5.0, 3600, 3600, 2815412)]
    public void Nitrogen_follows_its_pipe_and_leaks(double leak, double kelvin, double over, double at, double pa)
    {
        var gas = new SimulatedNitrogen(2859300, 298.15, 1.2e-3, leak);
        for (var t = 0.0; t < at; t += SimulatedNitrogen.StepS)
            gas.Step(298.15 + kelvin * t / over);
        gas.Pa.ShouldBe(pa, pa * 2e-4);
    }

    [Theory]
    [InlineData(27, 47, .139, 35, 1, 101325, 2640.52, 12.0048, 0.74952, 0.94408)]
    [InlineData(24, 50, .139, 35, 1, 101325, 2548.18, 11.3348, 0.74054, 0.94528)]
    [InlineData(27, 70, .139, 35, 1, 101325, 2819.56, 8.61472, 0.50432, 1.98841)]
    [InlineData(35, 20, .139, 40, 1, 101325, 2515.03, 15.6747, 1, 0)]
    [InlineData(27, 50, .070, 35, 1, 101325, 2665.36, 19.7807, 0.61625, 1.46570)]
    [InlineData(27, 50, .139, 35, 0.4, 101325, 1066.14, 6.46585, 1, 0)]
    [InlineData(30, 40, .139, 38, 1, 84555.99, 2592.94, 14.7318, 0.77432, 0.83473)]
    public void A_coil_known_by_its_rating_runs_anywhere(double c, double rh, double air, double outdoor, double share, double pa, double total, double split,
        double sensible, double kgH)
    {
        var coil = new RatedCoil(2640, 0.75, 0.139);
        coil.RatedSurfaceC.ShouldBe(11.29610, 1e-3);
        coil.Bypass.ShouldBe(0.2352185, 1e-4);
        var run = coil.Run(c, MoistAir.RatioFromRh(c, rh, pa), air, outdoor, share, pa);
        run.TotalW.ShouldBe(total, total * 1e-4);
        (c - run.LeavesC).ShouldBe(split, split * 1e-3);
        run.SensibleShare.ShouldBe(sensible, 1e-3);
        (run.WaterKgS * 3600).ShouldBe(kgH, 2e-3);
    }

    private static SimulatedUnit After(UnitScene scene, int seconds)
    {
        var unit = new SimulatedUnit(scene);
        for (var t = 0; t <= seconds; t++)
            unit.Step();
        return unit;
    }

    private static double Gauge(double pa) => (pa - 101325) / 1e6;

    private static UnitScene Scene(string name) => name switch
    {
        "low" => new UnitScene { Charge = 0.6 },
        "over" => new UnitScene { Charge = 1.3 },
        "air" => new UnitScene { AirInCircuitPa = 150_000 },
        "coil" => new UnitScene { OutdoorCoil = 0.5 },
        "filter" => new UnitScene { HeadAir = 0.5 },
        _ => new UnitScene(),
    };

    [Theory]
    [InlineData("well", 600, 31.353, 16.886, 0.89701, 2.84195, 795.34)]
    [InlineData("well", 1800, 25.182, 12.219, 0.78668, 2.71597, 682.23)]
    [InlineData("low", 600, 32.582, 23.378, 0.86022, 2.47413, 426.29)]
    [InlineData("low", 1800, 30.180, 21.791, 0.82073, 2.47056, 434.38)]
    [InlineData("over", 600, 31.353, 16.886, 0.89701, 3.30961, 910.18)]
    [InlineData("air", 600, 31.353, 16.886, 0.89701, 3.47681, 910.18)]
    [InlineData("coil", 600, 31.353, 16.886, 0.89701, 3.93500, 1045.50)]
    [InlineData("filter", 600, 32.230, 9.734, 0.80824, 2.70991, 696.90)]
    public void A_unit_with_a_hidden_fault_runs_as_such_units_do(string scene, int t, double cabin, double supply, double suction, double discharge,
        double watts)
    {
        var unit = After(Scene(scene), t);
        unit.CabinC.ShouldBe(cabin, cabin * Percent / 2);
        unit.SupplyC.ShouldBe(supply, supply * Percent);
        Gauge(unit.SuctionPa).ShouldBe(suction, suction * Percent);
        Gauge(unit.DischargePa).ShouldBe(discharge, discharge * Percent);
        unit.AcW.ShouldBe(watts, watts * Percent);
    }

    [Fact]
    public void The_bank_is_drawn_down_and_a_weak_one_gives_up()
    {
        var well = After(new UnitScene(), 600);
        (well.BankV, well.Charge).ShouldSatisfyAllConditions(x => x.BankV.ShouldBe(13.1124, 0.02), x => x.Charge.ShouldBe(0.93047, 0.0005));
        var weak = After(new UnitScene { StartCharge = 0.12, BankAh = 100, BankOhm = 0.020 }, 600);
        weak.State.ShouldBe(UnitState.NoPower);
        weak.CabinC.ShouldBe(34.702, 0.2);
        weak.Charge.ShouldBe(0.11443, 0.002);
    }

    [Fact]
    public void A_closed_valve_and_a_coil_without_air_trip_until_it_locks_out()
    {
        var closed = After(new UnitScene { ValveClosed = true }, 600);
        (closed.Trips, closed.SupplyC).ShouldBe((1, closed.SupplyC));
        closed.CabinC.ShouldBe(34.911, 0.2);
        After(new UnitScene { ValveClosed = true }, 1800).State.ShouldBe(UnitState.LockedOut);
        var unit = new SimulatedUnit(new UnitScene { OutdoorCoil = 0.25 });
        var tripped = new List<double>();
        while (unit.Seconds < 700)
        {
            var before = unit.Trips;
            unit.Step();
            if (unit.Trips > before)
                tripped.Add(unit.Seconds - 1);
        }
        tripped.Count.ShouldBe(3);
        tripped.Zip([196.0, 392, 588]).ShouldAllBe(x => Math.Abs(x.First - x.Second) <= 3);
    }

    [Fact]
    public void A_start_straight_to_the_line_dies_away() =>
        (SimulatedUnit.StartA(38, 7.1, 0.1), SimulatedUnit.StartA(38, 7.1, 0.3)).ShouldSatisfyAllConditions(
            x => x.Item1.ShouldBe(20.529, 0.001), x => x.Item2.ShouldBe(9.636, 0.001));

    /// <summary>Each scene of the vacuum gauge, as it is read live, is judged as what it hides.</summary>
    [Theory]
    [InlineData(SceneKind.DryCircuit, DecayFinding.Tight)]
    [InlineData(SceneKind.SlowLeak, DecayFinding.Leak)]
    [InlineData(SceneKind.WetCircuit, DecayFinding.Moisture)]
    [InlineData(SceneKind.WetAndLeaking, DecayFinding.LeakAndMoisture)]
    public void What_the_simulated_gauge_reads_tells_what_is_hidden(SceneKind kind, DecayFinding hidden)
    {
        var from = DateTimeOffset.UnixEpoch;
        var scene = new SimulatedScene(kind, 7, from, 10);
        var hold = scene.Until(2 * SimulatedScene.PumpS).Where(r => r.Quality == ReadingQuality.Good)
            .Select(r => new VacuumPoint((r.At - from).TotalSeconds - SimulatedScene.PumpS, r.Value!.Value)).Where(p => p.Seconds >= 0).ToList();
        VacuumDecay.Of(hold, 20).Finding.ShouldBe(hidden);
    }

    /// <summary>Played fast and taken over from its lowest reading, as the leaf does, it is told right whatever its noise; never as another.</summary>
    [Theory]
    [InlineData(SceneKind.DryCircuit, DecayFinding.Tight, 200)]
    [InlineData(SceneKind.SlowLeak, DecayFinding.Leak, 190)]
    [InlineData(SceneKind.WetCircuit, DecayFinding.Moisture, 190)]
    public void A_hold_played_fast_and_taken_over_is_told_right(SceneKind kind, DecayFinding hidden, int leastRight)
    {
        const int Seeds = 200;
        var taking = new Taking("Wren", DateTimeOffset.UnixEpoch, () => Guid.Empty);
        var told = new Dictionary<(DecayFinding, DecayReason), int>();
        for (ulong seed = 1; seed <= Seeds; seed++)
        {
            var endS = 40 * 60 + seed % 5 * 300;
            var points = new SimulatedScene(kind, seed, DateTimeOffset.UnixEpoch, 600).Until(endS).Where(r => r.Quality == ReadingQuality.Good)
                .Select(r => new TracePoint(r.At.ToUnixTimeMilliseconds(), r.Value)).ToList();
            var hold = FromInstruments.Vacuum(new TakenTrace("vac-1", true, points), null, null, taking).Cast<VacuumRecord>()
                .Select(v => new VacuumPoint(v.Readings.Minute!.Value * 60, v.Readings.Value!.Value));
            var j = VacuumDecay.Of(hold, 20, new DecayLimits { LeastReadings = 6 });
            told[(j.Finding, j.Reason)] = told.GetValueOrDefault((j.Finding, j.Reason)) + 1;
        }
        var words = string.Join("; ", told.Select(t => $"{t.Key} {t.Value}"));
        told.Where(t => t.Key.Item1 == hidden).Sum(t => t.Value).ShouldBeGreaterThanOrEqualTo(leastRight, words);
        told.Keys.ShouldAllBe(k => k.Item1 == hidden || k.Item1 == DecayFinding.Inconclusive, words);
    }

    [Fact]
    public void A_noisy_gauge_loses_doubles_and_delays_but_the_dry_circuit_is_told()
    {
        var readings = new SimulatedScene(SceneKind.NoisyGauge, 7, DateTimeOffset.UnixEpoch, 10).Until(2 * SimulatedScene.PumpS).ToList();
        readings.Count.ShouldBeGreaterThan(readings.DistinctBy(r => r.Seq).Count(), "some come twice");
        readings.Zip(readings.Skip(1)).ShouldContain(x => x.First.Seq > x.Second.Seq, "some come late");
        readings.Select(r => r.Seq).Distinct().Count().ShouldBeLessThan((int)readings.Max(r => r.Seq), "some are lost");
        var hold = readings.DistinctBy(r => r.Seq).Where(r => r.Quality == ReadingQuality.Good)
            .Select(r => new VacuumPoint(r.At.ToUnixTimeMilliseconds() / 1000.0 - SimulatedScene.PumpS, r.Value!.Value)).Where(p => p.Seconds >= 0);
        VacuumDecay.Of(hold, 20, new DecayLimits { GaugeNoise = 0.05 }).Finding.ShouldBeOneOf(DecayFinding.Tight, DecayFinding.Inconclusive);
    }

    [Fact]
    public void No_instrument_sends_more_than_twenty_messages_a_second_whatever_the_rate()
    {
        foreach (var rate in new[] { 1.0, 60, 600 })
        {
            var scene = new SimulatedScene(SceneKind.Running, 3, DateTimeOffset.UnixEpoch, rate);
            var perWallS = scene.Until(10 * rate).GroupBy(r => (r.Instrument, r.Quantity)).Max(g => g.Count()) / 10.0;
            perWallS.ShouldBeLessThanOrEqualTo(20.5);
        }
    }

    [Fact]
    public void The_same_seed_reads_the_same_and_another_does_not()
    {
        List<double?> Of(ulong seed) => [.. new SimulatedScene(SceneKind.Running, seed, DateTimeOffset.UnixEpoch, 1).Until(60).Select(r => r.Value)];
        Of(5).ShouldBe(Of(5));
        Of(5).ShouldNotBe(Of(6));
        new SimulatedScene(SceneKind.DryCircuit, 5, DateTimeOffset.UnixEpoch, 1).Until(30).First().Quality.ShouldBe(ReadingQuality.OverRange,
            $"a gauge that ends at {2666 / QuantityTable.PascalsPerMicron:0} micron");
    }
}
