using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using static Vanto.Core.Tests.Commission.ProofRigs;

namespace Vanto.Core.Tests.Commission;

/// <summary>The proof of a job as its readings are written down.</summary>
public class ProofStationTests(Xunit.Abstractions.ITestOutputHelper output)
{
    private static VacuumRecord Read(double minute, double value, VacuumUnit unit = VacuumUnit.Micron, bool shut = false) =>
        new(Guid.NewGuid(), Noon.AddMinutes(minute), "Ottoline", new VacuumValues { Value = value, Unit = unit, ShutOff = shut }, null);

    private static CommissionAssessment Of(JobDesign design, params StationRecord[] records) => Assessor.Assess(design, records).Commission!;

    private static VacuumRecord[] Hold(Func<double, double> micron, double lastMin = 20, double every = 2) =>
        [.. Enumerable.Range(0, (int)(lastMin / every) + 1).Select(i => Read(i * every, Math.Round(micron(i * every)), shut: i == 0))];

    [Fact]
    public void What_is_proved_follows_from_the_job()
    {
        Of(Split).Proof.Select(p => p.Leaf).ShouldBe(["tight", "dry", "release", "leaks", "readings"]);
        var vacuumOnly = Split with { Plan = Split.Plan with { Method = Split.Plan.Method with { Prove = ProveSchool.Vacuum } } };
        Of(vacuumOnly).Proof.Select(p => p.Leaf).ShouldBe(["dry", "release", "leaks", "readings"]);
        Of(vacuumOnly).Findings.ShouldContain(f => f.Code == "proof.vacuum-only");
        var charged = Split with { Layout = Split.Layout with { Line = Split.Layout.Line with { Kind = LineKind.PreCharged } } };
        Of(charged).Proof.Select(p => p.Leaf).ShouldBe(["release", "leaks", "readings"]);
        Of(charged with { Layout = charged.Layout with { Line = charged.Layout.Line with { SealBroken = true } } }).Proof.Select(p => p.Leaf)
            .ShouldBe(["tight", "dry", "release", "leaks", "readings"], "a charged set that was cut is a plain one");
        foreach (var work in new[] { WorkKind.SoftStarter, WorkKind.LayUp, WorkKind.Wake })
            Of(Split with { Unit = Split.Unit with { Work = work } }).Proof.Select(p => p.Leaf).ShouldBe(["readings"], $"{work}");
        Of(RigPresets.New(RigKind.Van, "Knot")).Proof.Select(p => p.Leaf).ShouldBe(["readings"], "a rooftop unit comes sealed");
    }

    [Fact]
    public void Ten_readings_by_hand_tell_dry_wet_and_leaking()
    {
        var dry = Of(Split, Hold(t => 320 + 60 * (1 - Math.Exp(-t / 4)))).Dry!;
        dry.State.ShouldBe(StationState.Passed);
        dry.Words.ToString().ShouldContain("Dry and tight");
        var wet = Of(Split, Hold(t => 400 + 2100 * (1 - Math.Exp(-t / 4)))).Dry!;
        wet.State.ShouldBe(StationState.Stop);
        wet.Words.ToString().ShouldContain("Wet, not leaking");
        wet.PumpMin!.Value.ShouldBeInRange(30, 360);
        wet.Next.ToString().ShouldContain("gas ballast");
        var leak = Of(Split, Hold(t => 400 + 150 * t));
        leak.Dry!.State.ShouldBe(StationState.Stop);
        leak.Dry.Words.ToString().ShouldContain("It leaks");
        leak.Dry.Words.ToString().ShouldContain("a year");
        leak.Verdict.State.ShouldBe(StationState.Stop);
        leak.Gates.Single(g => g.Gate == "vacuum-decay").Passed.ShouldBeFalse();
        leak.Findings.ShouldContain(f => f.Code == "vacuum.decay" && f.Leaf == "dry");
    }

    [Fact]
    public void Before_and_early_in_a_hold_it_says_what_to_do()
    {
        Of(Split).Dry!.Next.ToString().ShouldContain("shut the valve before the pump stops");
        Of(Split, Read(0, 5000)).Dry!.Next.ToString().ShouldContain("Pump on");
        Of(Split, Read(0, 450)).Dry!.Next.ToString().ShouldContain("Low enough");
        Of(Split, Read(0, 450, shut: true)).Dry!.Words.ToString().ShouldContain("the hold runs");
        Of(Split, Read(0, 900, shut: true)).Dry!.Words.ToString().ShouldContain("too early");
        Of(Split, Read(0, 300, shut: true), Read(4, 380)).Dry!.Words.ToString().ShouldContain("too early to tell");
        Of(Split, Read(0, 300, shut: true), Read(10, 700)).Dry!.State.ShouldBe(StationState.Passed);
        Of(Split, Read(0, 450, shut: true), Read(10, 3000)).Dry!.State.ShouldBe(StationState.Stop);
    }

    [Fact]
    public void M51_psi_said_for_inches_is_caught_and_nothing_is_lost()
    {
        var first = Read(0, -30, VacuumUnit.PsiGauge, shut: true);
        var proof = Of(Split, first);
        proof.Findings.ShouldContain(f => f.Code == "vacuum.unit-suspect" && f.Leaf == "dry");
        proof.Dry!.Readings.Single().ShouldSatisfyAllConditions(r => r.Pa.ShouldBeNull(), r => r.Typed.ShouldContain("-30"));
        var mended = first with
        {
            Id = Guid.NewGuid(),
            Corrects = first.Id,
            At = Noon.AddMinutes(3),
            Readings = first.Readings with
            {
                Unit = VacuumUnit.InHgVacuum,
                Value = -29
            }
        };
        var after = Of(Split, first, mended);
        after.Findings.ShouldNotContain(f => f.Code == "vacuum.unit-suspect");
        after.Dry!.Readings.Single().Minute.ShouldBe(0, "a correction stands for the moment of what it corrects");
        after.Findings.ShouldContain(f => f.Code == "vacuum.gauge-cannot-show");
    }

    /// <summary>Two needles that stand still are no proof of dryness, however long they are looked at.</summary>
    [Theory]
    [InlineData(VacuumUnit.InHgVacuum, -29.9)]
    [InlineData(VacuumUnit.PsiGauge, -14.68)]
    [InlineData(VacuumUnit.BarGauge, -1.013)]
    [InlineData(VacuumUnit.MPaGauge, -0.1013)]
    [InlineData(VacuumUnit.KPaGauge, -101.3)]
    public void A_needle_that_reads_from_the_air_never_says_dry(VacuumUnit unit, double value)
    {
        VacuumRecord[] still = [.. Enumerable.Range(0, 12).Select(i => Read(i * 10, value, unit, shut: i == 0))];
        var proof = Of(Split, still);
        proof.Dry!.State.ShouldBe(StationState.Caution);
        proof.Dry.Words.ToString().ShouldContain("dryness is not shown");
        proof.Gates.Single(g => g.Gate == "vacuum-decay").Passed.ShouldBeFalse();
        Of(Split, still[..1]).Dry!.State.ShouldBe(StationState.Open);
    }

    /// <summary>An inch of mercury in half an hour in 1.5 L is 2.82e-3 Pa·m³/s: worked out outside this project.</summary>
    [Fact]
    public void A_needle_that_moves_is_a_leak_or_water()
    {
        var design = Split with { Commission = Split.Commission with { VolumeM3 = 1.5e-3 } };
        var moved = Of(design, Read(0, -29.5, VacuumUnit.InHgVacuum, shut: true), Read(30, -28.5, VacuumUnit.InHgVacuum)).Dry!;
        moved.State.ShouldBe(StationState.Stop);
        var leak = LeakEquivalent.Of(2.82199e-3, nitrogen: false, 101325, 0, RefrigerantKind.R32, 298.15, 101325);
        moved.Words.ToString().ShouldContain(FormattableString.Invariant($"{leak.MostGYear / 1000:0.#} kg a year"));
    }

    [Fact]
    public void High_up_the_needle_is_judged_by_the_air_of_the_place()
    {
        var high = Split with { Survey = Split.Survey with { Place = Split.Survey.Place with { ElevationM = 1500 } } };
        Of(high, Read(0, -28, VacuumUnit.InHgVacuum)).Findings.ShouldContain(f => f.Code == "vacuum.gauge-or-altitude");
        Of(Split, Read(0, -28, VacuumUnit.InHgVacuum)).Findings.ShouldNotContain(f => f.Code == "vacuum.gauge-or-altitude");
        Of(high with { Commission = high.Commission with { BarometerPa = 84000 } }, Read(0, -24.5, VacuumUnit.InHgVacuum)).Dry!.Readings.Single().Pa!.Value
            .ShouldBe(84000 - 24.5 * QuantityTable.PascalsPerInchOfMercury, 0.1);
    }

    private static NitrogenRecord Held(double hours, double mpa, double? c, bool begins = false, double? barometer = null) => new(Guid.NewGuid(),
        Noon.AddHours(hours), "Piet", new NitrogenValues { GaugePa = mpa * 1e6, PipeC = c, Begins = begins, BarometerPa = barometer }, null);

    [Fact]
    public void M52_a_hold_allows_for_the_cold_of_the_evening()
    {
        var cold = Of(Split, Held(0, 2.758, 25, begins: true), Held(24, 2.696, 19));
        cold.Tight!.State.ShouldBe(StationState.Passed);
        cold.Tight.ShowsMostGYear!.Value.ShouldBeGreaterThan(cold.Tight.ShowsLeastGYear!.Value);
        var lost = Of(Split, Held(0, 2.758, 25, begins: true), Held(24, 2.60, 19));
        lost.Tight!.State.ShouldBe(StationState.Stop);
        lost.Findings.ShouldContain(f => f.Code == "hold.leaking");
        lost.Gates.Single(g => g.Gate == "pressure-hold").Passed.ShouldBeFalse();
        Of(Split, Held(0, 2.758, 25, begins: true), Held(0.2, 2.758, 25)).Tight!.State.ShouldBe(StationState.Open);
        Of(Split, Held(0, 2.758, null, begins: true), Held(24, 2.70, 19)).Tight!.Words.ToString().ShouldContain("Without its temperature");
        var sun = Split with { Commission = Split.Commission with { Nitrogen = Split.Commission.Nitrogen with { Probe = ProbePlace.Sun } } };
        Of(sun, Held(0, 2.758, 25, begins: true), Held(24, 2.696, 19)).Findings.ShouldContain(f => f.Code == "hold.unclear");
    }

    /// <summary>A weak hold over hours is not blamed for the weather; where a barometer was read it need not be allowed for.</summary>
    [Fact]
    public void A_weak_hold_over_a_day_allows_for_the_weather()
    {
        var fine = Split with { Commission = Split.Commission with { Nitrogen = Split.Commission.Nitrogen with { MarkPa = 100, TargetPa = 5e5 } } };
        double Wide(double? barometer) =>
            Of(fine, Held(0, 0.5, 20, begins: true, barometer), Held(20, 0.5, 20, barometer: barometer)).Tight!.UncertaintyPa!.Value;
        // 2·(1000/√3)² on U² where it was not read: the settled rule, common practice.
        (Math.Pow(Wide(null), 2) - Math.Pow(Wide(101325), 2)).ShouldBe(2 * 1e6 / 3, 1);
    }

    [Fact]
    public void A_test_is_never_higher_than_what_stands_least_and_the_ways_out_keep_their_word()
    {
        foreach (var target in new[] { 2.5e6, 4.4e6, 5.9e6 })
            foreach (var hot in new[] { 30.0, 75 })
            {
                var design = Split with
                {
                    Commission = Split.Commission with
                    {
                        Nitrogen = Split.Commission.Nitrogen with { TargetPa = target, HottestC = hot }
                    }
                };
                var proof = Of(design);
                foreach (var finding in proof.Findings.Where(f => f.Code is "nitrogen.over" or "nitrogen.warms"))
                    foreach (var way in finding.Remedies)
                    {
                        var after = Of(design.With(way.Edit));
                        after.Findings.ShouldNotContain(f => f.Code == finding.Code, way.Words.ToString());
                        after.Tight!.TargetPa.ShouldBeLessThanOrEqualTo(after.Tight.LimitPa!.Value * (1 + 1e-9));
                    }
            }
        var unknown = Split with { Commission = Split.Commission with { Nitrogen = Split.Commission.Nitrogen with { HosePa = null } } };
        Of(unknown).Findings.Single(f => f.Code == "nitrogen.limit-unknown").Words.ToString().ShouldContain("hose");
    }

    private static LeakRecord Looked(string joint, LeakResult result = LeakResult.Dry, LeakMethod method = LeakMethod.Soap, bool remade = false) =>
        new(Guid.NewGuid(), Noon, "Wren", new LeakValues { Joint = joint, Result = result, Method = method, Remade = remade }, null);

    [Fact]
    public void Every_joint_is_looked_at_and_one_made_anew_anew()
    {
        var joints = Of(Split).Leaks!.Joints.Select(j => j.Joint).ToList();
        joints.Count.ShouldBe(6);
        StationRecord[] all = [.. joints.Select(j => Looked(j))];
        Of(Split, all).Leaks!.State.ShouldBe(StationState.Passed);
        Of(Split, all[..^1]).Leaks!.State.ShouldBe(StationState.Open);
        var leaks = Of(Split, [.. all, Looked(joints[0], LeakResult.Leaks)]);
        leaks.Leaks!.State.ShouldBe(StationState.Stop);
        leaks.Findings.ShouldContain(f => f.Code == "leak.found");
        Of(Split, [.. all, Looked(joints[0], LeakResult.Leaks), Looked(joints[0])]).Leaks!.State
            .ShouldBe(StationState.Stop, "dry again without being made anew");
        StationRecord[] remade = [.. all, Looked(joints[0], LeakResult.Leaks), Looked(joints[0], remade: true)];
        Of(Split, remade).Leaks!.State.ShouldBe(StationState.Open, "the pipe beside it was moved too");
        Of(Split, [.. remade, Looked(joints[1])]).Leaks!.State.ShouldBe(StationState.Passed);
        var feel = Split with { Plan = Split.Plan with { Method = Split.Plan.Method with { Tighten = TightenSchool.Feel } } };
        Of(feel, all).Leaks!.State.ShouldBe(StationState.Open, "tightened by feel it wants both");
        Of(feel, [.. all, .. joints.Select(j => Looked(j, method: LeakMethod.Detector))]).Leaks!.State.ShouldBe(StationState.Passed);
    }

    /// <summary>Who makes a joint anew opens the circuit: pressure and vacuum are proved again, the pipe beside it is looked at again.</summary>
    [Fact]
    public void A_joint_made_anew_undoes_what_was_proved_before()
    {
        StationRecord[] proved = [Held(0, 2.7, 20, begins: true), Held(2, 2.7, 20), .. Hold(t => 320 + 60 * (1 - Math.Exp(-t / 4)))];
        var before = Of(Split, proved);
        (before.Tight!.State, before.Dry!.State).ShouldBe((StationState.Passed, StationState.Passed));
        LeakRecord At(double hours, string joint, bool remade) => Looked(joint, remade: remade) with { At = Noon.AddHours(hours) };
        var after = Of(Split, [.. proved, At(3, "head, thin", remade: false), At(3, "head, thick", remade: false), At(4, "head, thin", remade: true)]);
        (after.Tight!.State, after.Dry!.State).ShouldBe((StationState.Open, StationState.Open));
        after.Leaks!.Joints.Single(j => j.Joint == "head, thick").State.ShouldBe(StationState.Open, "it was moved too");
        after.Leaks.Joints.Single(j => j.Joint == "head, thin").State.ShouldBe(StationState.Passed);
        Of(Split, [.. proved, At(-1, "head, thin", remade: true)]).Tight!.State.ShouldBe(StationState.Passed, "it was made anew before");
    }

    /// <summary>A stop beside the proof is the station's: no verdict stands over it.</summary>
    [Fact]
    public void What_stops_is_said_first()
    {
        var burns = Of(Split, Said("smell", "burnt"));
        burns.Verdict.State.ShouldBe(StationState.Stop);
        burns.Verdict.Headline.ToString().ShouldContain("Power off now");
        Of(Split with { Plan = Split.Plan with { Method = Split.Plan.Method with { Prove = ProveSchool.Vacuum } } }).Verdict.State
            .ShouldBe(StationState.Caution);
    }

    [Fact]
    public void A_pump_too_large_for_the_inverter_stops_only_where_nothing_else_feeds_it()
    {
        JobDesign With(double pumpW, bool shore, bool byHand) => Split with
        {
            Commission = Split.Commission with { Vacuum = Split.Commission.Vacuum with { PumpW = pumpW } },
            Survey = Split.Survey with
            {
                Sources = Split.Survey.Sources with
                {
                    Shore = Split.Survey.Sources.Shore with { PluggedIn = shore },
                    Generator = Split.Survey.Sources.Generator with { Fitted = false },
                },
            },
            Plan = Split.Plan with { Method = Split.Plan.Method with { HandPump = byHand } },
        };
        Severity? Level(JobDesign design) => Of(design).Findings.FirstOrDefault(f => f.Code == "pump.source")?.Level;
        Level(With(50, shore: false, byHand: false)).ShouldBeNull();
        Level(With(3000, shore: false, byHand: false)).ShouldBe(Severity.Stop);
        Level(With(3000, shore: true, byHand: false)).ShouldBe(Severity.Caution);
        Level(With(3000, shore: false, byHand: true)).ShouldBeNull();
    }

    private static FaultRecord Said(string question, string answer, bool fresh = false) =>
        new(Guid.NewGuid(), Noon, "Piet", new FaultValues { Question = question, Answer = answer, Fresh = fresh }, null);

    [Fact]
    public void A_fault_search_goes_from_answer_to_answer_and_begins_anew()
    {
        var search = Of(Split, Said("cooling", "none"), Said("outdoorAir", "hardlyWarm"), Said("suction", "veryLow"), Said("current", "low"));
        search.Fault!.Causes[0].Id.ShouldBe("ValvesClosed");
        search.Fault.Tests[0].Id.ShouldBe("valveCheck", "it confirms before any part is changed");
        search.Fault.Said.Count.ShouldBe(4);
        Of(Split, Said("cooling", "none"), Said("cooling", "")).Fault!.Said.ShouldBeEmpty("an answer taken back");
        Of(Split, Said("cooling", "none"), Said("", "", fresh: true)).Fault!.Said.ShouldBeEmpty();
        Of(Split, Said("smell", "burnt")).Findings.Single(f => f.Code == "fault.burns").Level.ShouldBe(Severity.Stop);
        var coded = Split with { Commission = Split.Commission with { Fault = new FaultDesign { Code = "E7", Handler = false } } };
        Of(coded).Findings.ShouldContain(f => f.Code == "fault.code-unknown");
        Of(coded).Fault!.Tests.ShouldNotContain(t => t.Who == "a refrigerant handler");
    }

    /// <summary>
    /// Two thousand circuits with seeded faults, pumped by the model and read with noise: what is decidable is told right, what is not is not told.
    /// </summary>
    [Fact]
    public void Simulated_circuits_are_told_right()
    {
        const int rigs = 2000;
        var told = new int[3, 3];
        Parallel.For(0, rigs, i =>
        {
            var random = new SplitMix64((ulong)i + 77);
            var kind = i % 3;
            var setup = new EvacuationSetup
            {
                VolumeM3 = 1e-3 + 2e-3 * random.Uniform(),
                Hose = new(9.5e-3, 0.9),
                BoundKg = kind == 1 ? 5e-5 + 1e-4 * random.Uniform() : 0,
                LeakPaM3s = kind == 2 ? 2e-4 * Math.Pow(10, random.Uniform()) : 0,
            };
            var points = Circuit(setup, random, kind == 1 ? 1200 : 900);
            var verdict = VacuumDecay.Of(points, 20);
            var says = verdict.Finding switch
            {
                DecayFinding.Tight => 0,
                DecayFinding.Moisture => 1,
                DecayFinding.Leak or DecayFinding.LeakSuspected or DecayFinding.LeakAndMoisture => 2,
                _ => -1,
            };
            if (says >= 0)
                Interlocked.Increment(ref told[kind, says]);
        });
        for (var kind = 0; kind < 3; kind++)
        {
            var of = (rigs + 2 - kind) / 3;
            var wrong = Enumerable.Range(0, 3).Where(s => s != kind).Sum(s => told[kind, s]);
            output.WriteLine($"{(kind == 0 ? "tight" : kind == 1 ? "wet" : "leaking")}: told tight {told[kind, 0]}, wet {told[kind, 1]}, "
                + $"leaking {told[kind, 2]}, cannot tell {of - told[kind, 0] - told[kind, 1] - told[kind, 2]} of {of}");
            ((double)told[kind, kind] / of).ShouldBeGreaterThanOrEqualTo(0.95, $"kind {kind}: tight {told[kind, 0]}, wet {told[kind, 1]}, leaking "
                + $"{told[kind, 2]} of {of}");
            ((double)wrong / of).ShouldBeLessThan(0.03, $"kind {kind}");
        }
        told[2, 0].ShouldBe(0, "a leak is never called tight");
    }

    private static List<VacuumPoint> Circuit(EvacuationSetup setup, SplitMix64 random, double holdS)
    {
        const double pumpS = 600, everyS = 5;
        var rig = new EvacuationRig(setup);
        while (rig.Seconds < pumpS)
            rig.Step(pumping: true);
        var points = new List<VacuumPoint>();
        for (var t = 0.0; t <= holdS; t += everyS)
        {
            while (rig.Seconds < pumpS + t)
                rig.Step(pumping: false);
            points.Add(new VacuumPoint(t, Math.Round(rig.Pa * (1 + 0.01 * random.Normal()) / QuantityTable.PascalsPerMicron)
                * QuantityTable.PascalsPerMicron));
        }
        return points;
    }

    private static CommissionAssessment Started(StartUpReadings readings, int zones = 1)
    {
        var design = zones == 1 ? Split : Split with
        {
            Wiring = Split.Wiring with
            {
                Between = Split.Wiring.Between with { Zones = [.. Enumerable.Range(0, zones).Select(_ => new Core.Wiring.ZoneDesign())] },
            },
        };
        return Of(design, new CommissionRecord(Guid.NewGuid(), Noon, "Wren", readings, null));
    }

    /// <summary>Common practice, no published source: a litre poured, nine tenths of it out.</summary>
    [Theory]
    [InlineData(1.5, 1.45, BandVerdict.Pass)]
    [InlineData(1.5, 1.2, BandVerdict.Caution)]
    [InlineData(1.5, 0.5, BandVerdict.Stop)]
    [InlineData(0.5, 0.5, BandVerdict.Caution)]
    [InlineData(1.5, 1.9, BandVerdict.Caution)]
    public void A_drain_is_proved_by_what_is_poured_and_runs_out(double poured, double ran, BandVerdict verdict)
    {
        var found = Started(new StartUpReadings { DrainPouredM3 = poured / 1000, DrainOutM3 = ran / 1000 });
        found.Rows.Single(r => r.Id == "drain").Verdict.ShouldBe(verdict);
        found.Findings.Any(f => f.Code == "proof.drain").ShouldBe(verdict != BandVerdict.Pass);
    }

    [Fact]
    public void Zones_are_asked_only_where_there_are_several()
    {
        Started(new StartUpReadings { ZonesAlone = 1 }).Rows.ShouldNotContain(r => r.Id == "zones");
        Started(new StartUpReadings()).Asks.ShouldNotContain("zonesAlone");
        var two = Started(new StartUpReadings { ZonesAlone = 1, ZonesW = 900 }, 2);
        two.Asks.ShouldContain("zonesAlone");
        two.Rows.Single(r => r.Id == "zones").Verdict.ShouldBe(BandVerdict.Stop);
        Started(new StartUpReadings { ZonesAlone = 2, ZonesW = 900 }, 2).Rows.Single(r => r.Id == "zones").Verdict.ShouldBe(BandVerdict.Pass);
        Started(new StartUpReadings { ZonesAlone = 2 }, 2).Rows.Single(r => r.Id == "zones").Verdict.ShouldBe(BandVerdict.Caution);
    }
}
