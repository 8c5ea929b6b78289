using Vanto.Core.Commission;
using Vanto.Core.Job;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Commission;

/// <summary>Air, volts and heat of a start-up. Psychrometrics from the handbook (from memory); figures worked out outside this project.</summary>
public class AirSideTests
{
    [Theory]
    [InlineData(27, 0.47, 13, 0.90, 0.139, false, 101325, 3133.74, 2308.07, 1.20304, 1022.0)]
    [InlineData(29.5, 0.55, 17, 0.88, 0.150, false, 101325, 3723.03, 2207.42, 2.21665, 1256.9)]
    [InlineData(32, 0.25, 18.5, 0.55, 0.139, false, 84555.99, 1870.63, 1826.20, 0.06508, 959.2)]
    [InlineData(24, 0.50, 14.5, 0.80, 0.120, false, 101325, 1740.58, 1365.39, 0.54744, 736.7)]
    public void What_a_head_delivers(double back, double backRh, double leaving, double leavingRh, double flow, bool outlet, double p, double total, double dry,
        double water, double uncertain)
    {
        var air = AirSide.Of(new(back, backRh), new(leaving, leavingRh), flow, outlet, p);
        air.TotalW.ShouldBe(total, total * 2e-4);
        air.SensibleW.ShouldBe(dry, dry * 2e-4);
        air.CondensateKgH.ShouldBe(water, 2e-4);
        air.UncertaintyW.ShouldBe(uncertain, uncertain * 2e-3);
    }

    [Fact]
    public void Air_flow_counts_where_it_was_measured() =>
        AirSide.Of(new(27, 0.47), new(13, 0.90), 0.139, true, 101325).TotalW.ShouldBe(3297.90, 1);

    [Fact]
    public void Temperature_and_water_are_averaged_not_humidity()
    {
        var mean = AirSide.Average([new(26, 0.50), new(28, 0.44), new(27, 0.48)], 101325);
        mean.C.ShouldBe(27.000, 1e-9);
        mean.Rh.ShouldBe(0.472630, 1e-4);
        AirSide.Average([new(12, 0.9), new(16, 0.8)], 101325).Rh.ShouldBe(0.849853, 1e-4);
        AirSide.Average([new(20, 0.3), new(35, 0.3)], 84556).Rh.ShouldBe(0.326106, 1e-4);
    }

    [Theory] // Ohm's law
    [InlineData(121.4, 119.6, 3.2, 38, 0.5625, 100.025, 0.176)]
    [InlineData(240.5, 239.3, 4, 45, 0.3, 227.0, 0.05613)]
    [InlineData(119.0, 118.7, 2, 12, 0.15, 117.2, 0.01513)]
    public void A_light_load_tells_what_a_start_will_do(double rest, double loaded, double amps, double start, double ohm, double volts, double share)
    {
        SourceSag.Ohm(rest, loaded, amps).ShouldBe(ohm, 1e-9);
        var (at, lost) = SourceSag.AtStart(rest, ohm, start);
        at.ShouldBe(volts, 1e-3);
        lost.ShouldBe(share, 1e-4);
    }

    private static VerdictRow? Row(StartUpReadings r, string id, bool heats = false)
    {
        var van = RigPresets.New(RigKind.Van, "Sandpiper");
        var design = van with
        {
            Unit = van.Unit with { Chosen = "MS-12-120" },
            Plan = van.Plan with { Method = van.Plan.Method with { Heats = heats } },
        };
        var record = new CommissionRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Piet", r, null);
        return Assessor.Assess(design, [record]).Commission!.Rows.SingleOrDefault(x => x.Id == id);
    }

    [Fact]
    public void Rows_stand_where_their_readings_were_taken()
    {
        Row(new() { RunV = 118 }, "sag").ShouldBeNull();
        Row(new() { RestV = 120, SagV = 112 }, "sag")!.Verdict.ShouldBe(BandVerdict.Pass);
        Row(new() { RestV = 120, SagV = 100 }, "sag")!.Verdict.ShouldBe(BandVerdict.Caution);
        Row(new() { RestV = 120, SagV = 90 }, "sag")!.Verdict.ShouldBe(BandVerdict.Stop);
        Row(new() { RunV = 118, RunA = 7.4, RunW = 845 }, "pf")!.Verdict.ShouldBe(BandVerdict.Pass);
        Row(new() { RunV = 231, RunA = 3.6, RunW = 420 }, "pf")!.Verdict.ShouldBe(BandVerdict.Caution);
        Row(new() { RunV = 118, RunA = 7, RunW = 900 }, "pf")!.Words.ToString().ShouldContain("do not belong together");
    }

    [Fact]
    public void A_unit_is_not_called_bad_by_air_alone_while_it_is_not_known_well()
    {
        StartUpReadings Air(double leaving, double flow) => new()
        {
            EnteringC = 27,
            EnteringRhPct = 47,
            LeavingC = leaving,
            LeavingRhPct = 90,
            AirM3s = flow,
            OutdoorC = 35,
            RunW = 900,
        };
        Row(Air(13, 0.17), "capacity")!.Verdict.ShouldBe(BandVerdict.Pass);
        Row(Air(13, 0.11), "capacity")!.Verdict.ShouldBe(BandVerdict.Caution);
        Row(Air(17, 0.05), "capacity")!.Verdict.ShouldBe(BandVerdict.Stop);
        Row(Air(13, 0.17), "eer").ShouldNotBeNull();
    }

    [Fact]
    public void Heating_is_proved_where_the_job_asks_for_it()
    {
        Row(new() { RunV = 118 }, "heating").ShouldBeNull();
        var open = Row(new() { RunV = 118 }, "heating", heats: true)!;
        open.Verdict.ShouldBe(BandVerdict.NotDone);
        var expected = open.Expected!.Value;
        StartUpReadings Air(double rise) => new() { HeatEnteringC = 20, HeatLeavingC = 20 + rise, HeatOutdoorC = 8.3 };
        Row(Air(expected), "heating", heats: true)!.Verdict.ShouldBe(BandVerdict.Pass);
        Row(Air(0.6 * expected), "heating", heats: true)!.Verdict.ShouldBe(BandVerdict.Caution);
        var cold = Row(Air(-3), "heating", heats: true)!;
        cold.Verdict.ShouldBe(BandVerdict.Stop);
        cold.Words.ToString().ShouldContain("blows cold");
    }
}
