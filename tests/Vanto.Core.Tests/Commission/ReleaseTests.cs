using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Stations;
using static Vanto.Core.Tests.Commission.ProofRigs;

namespace Vanto.Core.Tests.Commission;

/// <summary>The gate before the valves, joints that will be hidden, and which way a circuit is proved. Common practice, no published source.</summary>
public class ReleaseTests
{
    private static readonly ReleaseValues Ready = new() { PumpShut = true, CoreShut = true, CapsOff = true, Shielded = true, Aired = true };

    private static ReleaseRecord At(double hours, ReleaseValues values) => new(Guid.NewGuid(), Noon.AddHours(hours), "Ottoline", values, null);

    private static IEnumerable<StationRecord> Proved(double fromH = -24)
    {
        NitrogenRecord Hold(double hours, double pa, double c, bool begins = false) => new(Guid.NewGuid(), Noon.AddHours(fromH + hours), "Ottoline",
            new NitrogenValues { GaugePa = pa, PipeC = c, Begins = begins }, null);
        yield return Hold(0, 2.6e6, 25, begins: true);
        yield return Hold(20, 2.6e6, 25);
        for (var minute = 0; minute <= 20; minute += 2)
            yield return new VacuumRecord(Guid.NewGuid(), Noon.AddHours(fromH + 22).AddMinutes(minute), "Ottoline",
                new VacuumValues { Value = Math.Round(320 + 60 * (1 - Math.Exp(-minute / 4.0))), ShutOff = minute == 0 }, null);
    }

    private static CommissionAssessment Of(params IEnumerable<StationRecord> records) => Assessor.Assess(Split, [.. records]).Commission!;

    [Fact]
    public void The_valves_wait_for_the_proof_and_for_what_is_at_hand()
    {
        Of().Release!.Words.ToString().ShouldBe("Do not open the valves yet.");
        var proved = Of(Proved());
        proved.Dry!.State.ShouldBe(StationState.Passed);
        proved.Release!.Words.ToString().ShouldBe("Proved. 5 things to see to, then you may open.");
        Of([.. Proved(), At(0, Ready)]).Release!.Words.ToString().ShouldBe("You may open the valves.");
        var open = Of([.. Proved(), At(0, Ready), At(0.1, Ready with { Open = true })]);
        open.Release!.Words.ToString().ShouldContain("caps are still off");
        open.Release.State.ShouldBe(StationState.Open);
        Of([.. Proved(), At(0.1, Ready with { Open = true, CapsBack = true })]).Release!.State.ShouldBe(StationState.Passed);
    }

    [Fact]
    public void M56_opened_before_it_is_proved_stops_whatever_is_ticked()
    {
        var early = Of(At(0, Ready with { Open = true, CapsBack = true }));
        early.Release!.State.ShouldBe(StationState.Stop);
        early.Findings.ShouldContain(f => f.Code == "release.unproved" && f.Level == Severity.Stop && f.Leaf == "release");
        early.Verdict.State.ShouldBe(StationState.Stop);
        var late = Of([.. Proved(-60), At(0, Ready with { Open = true })]);
        late.Dry!.State.ShouldBe(StationState.Passed);
        late.Release!.State.ShouldBe(StationState.Stop, "a vacuum of two days ago proves nothing of today");
    }

    /// <summary>A needle shows no dryness; where Plan's method has no other gauge it is all there is, and the caution stays.</summary>
    [Fact]
    public void A_way_without_a_micron_gauge_is_not_barred_for_ever()
    {
        VacuumRecord Needle(double minute) => new(Guid.NewGuid(), Noon.AddMinutes(minute), "Ottoline",
            new VacuumValues { Value = -29.5, Unit = VacuumUnit.InHgVacuum, ShutOff = minute == 0 }, null);
        StationRecord[] held = [Needle(0), Needle(30), Needle(60)];
        ReleaseView By(GaugeSchool gauge) => Assessor.Assess(Split with
        {
            Plan = Split.Plan with { Method = Split.Plan.Method with { Gauge = gauge, Prove = ProveSchool.Vacuum } },
        }, held).Commission!.Release!;
        By(GaugeSchool.Minutes).Rows.Single(r => r.Leaf == "dry").Passed.ShouldBeTrue();
        By(GaugeSchool.Micron).Rows.Single(r => r.Leaf == "dry").Passed.ShouldBeFalse("a micron figure was promised");
    }

    /// <summary>No order of ticks and readings opens an unproved circuit without its stop.</summary>
    [Fact]
    public void Random_ticks_never_pass_an_unproved_circuit()
    {
        var draw = new Random(11);
        bool Coin() => draw.Next(2) == 0;
        for (var i = 0; i < 60; i++)
        {
            var records = Enumerable.Range(0, draw.Next(1, 4)).Select(n => At(n, new ReleaseValues
            {
                PumpShut = Coin(),
                CoreShut = Coin(),
                CapsOff = Coin(),
                Shielded = Coin(),
                Aired = Coin(),
                Open = Coin(),
                CapsBack = Coin(),
            })).ToList();
            var view = Of(records).Release!;
            view.State.ShouldBe(records[^1].Readings.Open ? StationState.Stop : StationState.Open, $"{records[^1].Readings}");
        }
    }

    [Theory] // saturation of R-32 at 25 °C, 1.5884 MPa gauge at sea level: published tables, within 0.3 %
    [InlineData(1.5884e6, null)]
    [InlineData(1.40e6, "little charge")]
    [InlineData(1.75e6, "air in it")]
    public void The_gauge_at_rest_tells_an_empty_circuit_and_air(double gaugePa, string? says)
    {
        var (view, findings) = ReleaseGate.Of([At(0, Ready with { RestPa = gaugePa, RestC = 25 })], null, null, null, Circuit);
        view.RestExpectedPa!.Value.ShouldBe(1.5884e6, 100);
        if (says is null)
            findings.ShouldBeEmpty();
        else
            findings.ShouldHaveSingleItem().Words.ToString().ShouldContain(says);
    }

    [Fact]
    public void What_the_steps_on_site_wrote_down_need_not_be_ticked_again()
    {
        InstallRecord Event(EventType type, string step, double seq) => new(Guid.NewGuid(), Noon, "Piet", new InstallValues
        {
            Type = type,
            Step = step,
            Device = "p1",
            Seq = seq,
            L = Noon.ToUnixTimeMilliseconds() + seq,
            AtMs = Noon.ToUnixTimeMilliseconds() + seq,
        }, null);
        var release = Of([.. Proved(), Event(EventType.StepStarted, "valves-open", 1), Event(EventType.StepFinished, "valves-open", 2)]).Release!;
        release.Opened.ShouldBeTrue();
        release.Words.ToString().ShouldContain("caps are still off");
        release.Rows.First(r => r.Field == "open").Said.ToString().ShouldBe("Piet");
    }

    [Fact]
    public void M64_joints_that_will_be_hidden_have_a_hold_of_their_own()
    {
        var left = Split with { Layout = Split.Layout with { Head = Split.Layout.Head with { Exit = HeadExit.Left } } };
        var hidden = new NitrogenRecord(Guid.NewGuid(), Noon, "Ottoline",
            new NitrogenValues { GaugePa = 2.6e6, PipeC = 25, Begins = true, Blanked = true }, null);
        var later = new NitrogenRecord(Guid.NewGuid(), Noon.AddHours(2), "Ottoline", new NitrogenValues { GaugePa = 2.6e6, PipeC = 25 }, null);
        Assessor.Assess(left, []).Commission!.Proof.ShouldContain(p => p.Name == "Joints that will be hidden" && p.State == StationState.Open);
        var held = Assessor.Assess(left, [hidden, later]).Commission!;
        held.Hidden!.State.ShouldBe(StationState.Passed);
        held.Tight!.Readings.ShouldBeEmpty("the hold of two joints proves nothing of the circuit");
        var whole = new NitrogenRecord(Guid.NewGuid(), Noon.AddHours(3), "Ottoline", new NitrogenValues { GaugePa = 2.5e6, PipeC = 25, Begins = true }, null);
        var after = Assessor.Assess(left, [hidden, later, whole]).Commission!;
        after.Tight!.Readings.Count.ShouldBe(1);
        after.Hidden!.Readings.Count.ShouldBe(2);
    }

    [Theory] // common practice, no published source
    [InlineData(true, true, true, false, false, false, EvacuationSchool.Charged, null)]
    [InlineData(true, false, true, true, true, true, EvacuationSchool.Micron, null)]
    [InlineData(false, false, true, false, true, true, EvacuationSchool.Compound, Severity.Caution)]
    [InlineData(false, false, true, false, true, false, EvacuationSchool.Hand, Severity.Caution)]
    public void The_way_follows_from_what_is_at_hand(bool charged, bool uncut, bool allows, bool micron, bool pump, bool source, EvacuationSchool school,
        Severity? level)
    {
        var advice = EvacuationSchools.Advise(new(charged, uncut, false, allows, false, micron, pump, source, HandPump: true));
        (advice.School, advice.Level).ShouldBe((school, level));
    }

    [Fact]
    public void No_way_is_left_where_the_manual_asks_more_than_the_kit_shows()
    {
        var facts = new EvacuationFacts(false, false, false, true, true, false, true, false, true);
        EvacuationSchools.Advise(facts).Level.ShouldBe(Severity.Stop);
        EvacuationSchools.Advise(facts with { HandPump = false }).Level.ShouldBe(Severity.Stop);
        EvacuationSchools.Advise(facts with { Pump = false, HandPump = false }).School.ShouldBeNull();
        EvacuationSchools.Advise(facts with { Charged = true, RejoinedTight = true }).Level.ShouldBe(Severity.Caution);
        EvacuationSchools.All.Select(s => s.School).ShouldBe(Enum.GetValues<EvacuationSchool>());
        EvacuationSchools.All.ShouldAllBe(s => s.CannotSee.Length > 10);
    }
}
