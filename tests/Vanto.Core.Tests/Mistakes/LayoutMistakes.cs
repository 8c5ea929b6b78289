using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Mistakes;

/// <summary>Mistakes of setting out that must show before a hole is drilled. Common practice, no published source.</summary>
public class LayoutMistakes
{
    private static readonly ThingDesign Window = new() { Name = "window", LeftM = 0.3, LowM = 0.85, WidthM = 0.7, HeightM = 0.4 };

    /// <summary>A rear wall of a van with a window, ribs, everything searched: nothing to say.</summary>
    private static readonly LayoutDesign Good = new()
    {
        Wall = new WallDesign { WidthM = 2.3, CeilingM = 1.95, Scanned = true, ThicknessM = 0.06, RibPitchM = 0.40, Things = [Window] },
        Outdoor = new OutdoorSpotDesign { UpM = -0.6, OffM = 0.15 },
        Drain = new DrainDesign { EndUpM = -0.3 },
        Sound = new SoundDesign { AtNight = false },
        Line = new LineDesign { InsulationM = 0.006 },
    };

    private static LayoutAssessment Of(LayoutDesign layout, Func<UnitDesign, UnitDesign>? unit = null)
    {
        var split = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" };
        return Assessor.Assess(NewcomersVan.Design with { Layout = layout, Unit = unit is null ? split : unit(split) }).Layout!;
    }

    private static LayoutAssessment Of(Func<LayoutDesign, LayoutDesign> change, Func<UnitDesign, UnitDesign>? unit = null) => Of(change(Good), unit);

    private static Finding Single(LayoutAssessment layout, string code) => layout.Findings.Single(f => f.Code == code);

    private static UnitDesign Sheet(UnitDesign unit, Func<UnitSheetDesign,
        UnitSheetDesign> change) => unit with { Sheets = [change(new UnitSheetDesign { Unit = unit.Chosen })] };

    [Fact]
    public void A_wall_well_set_out_raises_nothing_that_stops() => Of(Good).Findings.ShouldNotContain(f => f.Level == Severity.Stop);

    [Fact]
    public void M11_a_set_too_long_and_its_slack_nowhere_to_go()
    {
        var layout = Of(l => l with { Line = l.Line with { Kind = LineKind.PreCharged, KitM = 15.24, CoilRoomM = 0.25 } });
        Single(layout, "line.slack").Level.ShouldBe(Severity.Caution);
        layout.Bundle!.Slack!.Turns.ShouldBe(0, "no whole turn fits so narrow a place");
        Single(Of(l => l with { Line = l.Line with { KitM = 15.24, CoilStands = true, CoilRoomM = 3 } }), "line.coil").Level.ShouldBe(Severity.Stop);
        Of(Good).Findings.ShouldNotContain(f => f.Code == "line.coil");
    }

    [Fact]
    public void M12_a_set_of_fixed_length_too_short()
    {
        var layout = Of(l => l with { Line = l.Line with { Kind = LineKind.PreCharged, KitM = 1 } });
        var finding = Single(layout, "line.short");
        finding.Words.ToString().ShouldContain("never joined");
        finding.Remedies.Single().Changes.Single().Path.ShouldBe("/layout/line/kitM");
        Single(Of(l => l with { Outdoor = l.Outdoor with { RightM = 25 } }), "line.no-kit").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M13_the_hole_is_set_out_from_two_corners_and_mirrored_for_outside()
    {
        var wall = Of(Good).Wall!;
        wall.SetOut.Count.ShouldBe(2);
        foreach (var from in wall.SetOut)
        {
            from.Corner.ShouldContain("window");
            (from.CornerX + from.RightM).ShouldBe(wall.HoleX, 1e-9);
            (from.CornerY + from.UpM).ShouldBe(wall.HoleInsideM, 1e-9);
            // Outside, the same corner stands mirrored; the hole is lower by its fall.
            (wall.WidthM - from.CornerX + from.OutsideRightM).ShouldBe(wall.WidthM - wall.HoleX, 1e-9);
            (from.CornerY + from.OutsideUpM).ShouldBe(wall.HoleOutsideM, 1e-9);
        }
        Single(Of(l => l with { Wall = l.Wall with { Things = [] } }), "hole.no-datum");
    }

    [Fact]
    public void M14_M15_a_hole_larger_than_the_templates_shows_daylight()
    {
        Of(Good).Findings.ShouldNotContain(f => f.Code == "hole.daylight");
        var shown = Single(Of(l => l with { Head = l.Head with { HoleM = 0.09 } }), "hole.daylight");
        shown.Words.Measures[0].Value.ShouldBe(0.09 / 2 / Math.Cos(Math.Atan(0.005 / 0.06)) - 0.04, 1e-9, "half the hole less what the plate covers");
        shown.Remedies.Single().Changes.Single().Path.ShouldBe("/layout/head/holeM");
    }

    [Fact]
    public void M16_a_hole_that_falls_inwards()
    {
        Single(Of(l => l with { Head = l.Head with { FallM = -0.004 } }), "hole.inwards").Level.ShouldBe(Severity.Stop);
        Single(Of(l => l with { Head = l.Head with { FallM = 0 } }), "hole.inwards");
        Single(Of(l => l with { Head = l.Head with { FallM = 0.03 } }), "hole.steep");
        Of(Good).Findings.ShouldNotContain(f => f.Code.StartsWith("hole."));
    }

    [Theory]
    [InlineData(ThingKind.Gas, 0.10, Severity.Stop)]
    [InlineData(ThingKind.Water, 0.03, Severity.Caution)]
    [InlineData(ThingKind.Cable, 0.03, Severity.Stop)]
    [InlineData(ThingKind.Water, -0.01, Severity.Stop)]
    public void M17_the_drill_meets_what_is_in_the_wall(ThingKind kind, double clear, Severity level)
    {
        var wall = Of(Good).Wall!;
        var pinned = Good with { Head = Good.Head with { LeftM = wall.Head.Left, LowM = wall.Head.Low } };
        var hidden = new ThingDesign
        {
            Name = "line",
            Kind = kind,
            Place = ThingPlace.Within,
            LeftM = 0,
            WidthM = 2.3,
            HeightM = 0.01,
            LowM = wall.HoleInsideM + wall.HoleM / 2 / Math.Cos(Math.Atan(0.005 / 0.06)) + clear,
        };
        var met = Single(Of(pinned with { Wall = pinned.Wall with { Things = [Window, hidden] } }), "hole.meets");
        met.Level.ShouldBe(level);
        met.Words.ToString().ShouldContain("line");
        Of(pinned with { Wall = pinned.Wall with { Things = [Window, hidden with { LowM = 0.1 }] } }).Findings.ShouldNotContain(f => f.Code == "hole.meets");
        Single(Of(l => l with { Wall = l.Wall with { Scanned = false } }), "hole.scan-first");
    }

    [Fact]
    public void M18_pipes_that_leave_to_the_left_are_joined_indoors() =>
        Single(Of(l => l with { Head = l.Head with { Exit = HeadExit.Left } }), "wall.left-exit").Remedies.ShouldNotBeEmpty();

    [Fact]
    public void M19_a_head_too_near_the_ceiling_or_the_radio()
    {
        Single(Of(l => l with { Head = l.Head with { LeftM = 0.5, LowM = 1.64 } }), "wall.cannot-hook").Level.ShouldBe(Severity.Stop);
        var radio = new ThingDesign { Name = "radio", Kind = ThingKind.Electronics, LeftM = 1.9, LowM = 1.5, WidthM = 0.2, HeightM = 0.1 };
        var refused = Single(Of(l => l with { Head = l.Head with { LeftM = 0.9, LowM = 1.5 }, Wall = l.Wall with { Things = [Window, radio] } }),
            "wall.refused");
        refused.Words.ToString().ShouldContain("radio");
        var moved = refused.Remedies.Single().Edit.Apply(Good with { Wall = Good.Wall with { Things = [Window, radio] } });
        Of(moved).Findings.ShouldNotContain(f => f.Code == "wall.refused", "the place offered is allowed");
        Single(Of(l => l with { Wall = l.Wall with { WidthM = 0.8 } }), "wall.no-spot");
    }

    [Fact]
    public void M21_screws_between_the_ribs()
    {
        var layout = Of(l => l with { Head = l.Head with { LeftM = 0.9, LowM = 1.5 }, Wall = l.Wall with { RibFirstM = 0.2, RibPitchM = 1.9 } });
        Single(layout, "wall.no-rib").Remedies.ShouldNotBeEmpty("another place has a rib");
        layout.Wall!.RibsHit.ShouldBe(0);
        Of(Good).Wall!.RibsHit.ShouldBeGreaterThan(1);
    }

    [Fact]
    public void M30_the_outdoor_unit_without_room_blowing_at_a_path_or_near_gas()
    {
        AroundDesign At(AroundKind kind, double out_) => new() { Kind = kind, RightM = -2, WidthM = 6, OutM = out_, UpM = -1, HeightM = 3 };
        LayoutAssessment With(AroundDesign around) => Of(l => l with { Outdoor = l.Outdoor with { Around = [around] } });
        Single(With(At(AroundKind.Solid, 0.9)), "outdoor.room").Level.ShouldBe(Severity.Caution);
        Single(With(At(AroundKind.Solid, 0.6)), "outdoor.room").Level.ShouldBe(Severity.Stop, "less than half of what it wants where it blows");
        With(At(AroundKind.Solid, 2.5)).Findings.ShouldNotContain(f => f.Code == "outdoor.room");
        Single(With(At(AroundKind.People, 1.5)), "outdoor.blows");
        With(At(AroundKind.People, 5)).Findings.ShouldNotContain(f => f.Code == "outdoor.blows");
        Single(With(At(AroundKind.Gas, 0.8)), "outdoor.gas").Level.ShouldBe(Severity.Stop);
        Single(With(At(AroundKind.Unit, 1.4)), "outdoor.face");
        Single(Of(l => l with { Outdoor = l.Outdoor with { OffM = 0.04 } }),
            "outdoor.room").Remedies.Single().Changes.Single().Path.ShouldBe("/layout/outdoor/offM");
    }

    [Fact]
    public void A_sensor_in_the_stream_a_broken_seal_a_pump_that_sucks_and_a_roof_edge()
    {
        Single(Of(l => l with { Head = l.Head with { SensorInStream = true } }), "wall.sensor").Words.ToString().ShouldContain("air stream");
        Single(Of(l => l with { Head = l.Head with { SensorM = 5 } }), "wall.sensor").Level.ShouldBe(Severity.Caution);
        var lost = Of(l => l with { Line = l.Line with { Kind = LineKind.PreEvacuated, SealBroken = true } });
        Single(lost, "line.vacuum-lost").Level.ShouldBe(Severity.Stop);
        Of(l => l with { Line = l.Line with { SealBroken = true } }).Findings.ShouldNotContain(f => f.Code == "line.vacuum-lost");
        Single(Of(l => l with { Drain = l.Drain with { By = DrainBy.Pump, SuctionM = 2 } }), "drain.suction").Level.ShouldBe(Severity.Caution);
        Single(Of(l => l with { Outdoor = l.Outdoor with { EdgeM = 1.2 } }), "outdoor.edge").Level.ShouldBe(Severity.Caution);
    }

    /// <summary>Ten thousand square millimetres at 10 K and 2 m/s worked out by hand: 4.93 L/s.</summary>
    [Fact]
    public void A_gap_round_a_window_unit_is_air_to_be_cooled()
    {
        AirExchange.GapM3s(0.01, 10, 2).ShouldBe(0.1 * Math.Sqrt(0.00145 + 0.000984), 1e-9);
        var survey = NewcomersVan.Design.Survey;
        var open = Assessor.Assess(NewcomersVan.Design with { Survey = survey with { Space = survey.Space with { GapM2 = 0.03 } } });
        var finding = open.Load!.Findings.Single(f => f.Code == "gap.air");
        finding.Remedies.Single().Changes.Single().Path.ShouldBe("/survey/space/gapM2");
        open.Load.PeakW.ShouldBeGreaterThan(Assessor.Assess(NewcomersVan.Design).Load!.PeakW);
    }

    [Fact]
    public void M20_a_room_deeper_than_the_head_throws()
    {
        Single(Of(l => l with { Head = l.Head with { ThrowM = 3 } }), "wall.throw").Level.ShouldBe(Severity.Caution);
        Of(Good).Findings.ShouldNotContain(f => f.Code == "wall.throw");
    }

    /// <summary>Widths worked out by hand for a unit before 0.60 to 1.40 m of the wall.</summary>
    [Fact]
    public void M29_a_disconnect_behind_the_unit_out_of_reach_or_out_of_sight()
    {
        DisconnectRoom.Of(1.00, 0.13, 2.20, [(0.6, 1.4)]).Behind.ShouldBeTrue();
        DisconnectRoom.Of(1.60, 0.13, 2.20, [(0.6, 1.4)]).FreeM.ShouldBe(0.8, 1e-9);
        DisconnectRoom.Of(1.60, 0.13, 2.10, [(0.6, 1.4)]).FreeM.ShouldBe(0.7, 1e-9);
        LayoutAssessment With(Func<OutdoorSpotDesign, OutdoorSpotDesign> change) =>
            Of(l => l with { Outdoor = change(l.Outdoor with { RightM = 0.6, DisconnectM = 1.6 }) });
        With(o => o).Findings.ShouldNotContain(f => f.Code == "outdoor.disconnect");
        Single(With(o => o with { DisconnectM = 0.6 }), "outdoor.disconnect").Level.ShouldBe(Severity.Stop);
        Single(With(o => o with { DisconnectM = 2.2, RightM = 1.35 }), "outdoor.disconnect").Level.ShouldBe(Severity.Caution);
        Single(With(o => o with { HandleM = 2.2 }), "outdoor.disconnect").Level.ShouldBe(Severity.Stop);
        Single(With(o => o with { DisconnectSeen = false }), "outdoor.disconnect").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M31_a_drain_that_runs_back_stands_or_climbs_when_parked()
    {
        Single(Of(l => l with { Drain = l.Drain with { EndUpM = 1.9 } }), "drain.runs-back").Level.ShouldBe(Severity.Stop);
        PointDesign P(double right, double out_, double up) => new() { RightM = right, OutM = out_, UpM = up };
        var sag = Good with { Drain = Good.Drain with { Points = [P(0.6, 0.1, 1.3), P(0.9, 0.1, 1.2), P(1.2, 0.1, 1.35), P(1.4, 0.1, 1.0)] } };
        Single(Of(sag), "drain.trap").Level.ShouldBe(Severity.Caution);
        Single(Of(sag with { Drain = sag.Drain with { Points = [.. sag.Drain.Points, P(1.6, 0.1, 1.2), P(1.7, 0.1, 0.9)] } }),
            "drain.trap").Level.ShouldBe(Severity.Stop);
        var level = Good with { Drain = Good.Drain with { Points = [P(1.4, 0.1, 1.5), P(2.2, 0.1, 1.48), P(2.2, 0.1, 0)] } };
        Of(level).Findings.ShouldNotContain(f => f.Code == "drain.parked");
        Single(Of(level with { Drain = level.Drain with { RollDeg = 5, TrayDeg = 5 } }), "drain.parked");
        Single(Of(l => l with { Drain = l.Drain with { PitchDeg = 6 } }), "drain.tray").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M33_M34_a_pump_past_its_lift_unheard_or_built_in()
    {
        LayoutAssessment With(Func<DrainDesign, DrainDesign> change) => Of(l => l with { Drain = change(l.Drain with { By = DrainBy.Pump }) });
        With(d => d).Findings.ShouldNotContain(f => f.Code.StartsWith("drain."));
        Single(With(d => d with { LiftM = 12 }), "drain.pump").Level.ShouldBe(Severity.Stop);
        Single(With(d => d with { PumpLh = 1 }), "drain.pump").Level.ShouldBe(Severity.Stop);
        Single(With(d => d with { LiftM = 8.5, PumpLh = 60 }), "drain.pump").Level.ShouldBe(Severity.Caution);
        Single(With(d => d with { AlarmWired = false }), "drain.alarm");
        Single(With(d => d with { CoverRoomM = 0.01 }), "drain.cover").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M50_bends_tighter_than_the_pipe_bears_are_not_drawn()
    {
        PointDesign P(double right, double out_, double up) => new() { RightM = right, OutM = out_, UpM = up };
        var tight = Good with { Line = Good.Line with { Points = [P(0.6, 0.3, 1.5), P(0.7, 0.3, 1.5), P(0.7, 0.3, 1.4)] } };
        Single(Of(tight), "line.bends").Level.ShouldBe(Severity.Stop);
        Of(tight).Ways.ShouldContain(w => w.Fault == null, "another way is offered");
        Of(Good).Findings.ShouldNotContain(f => f.Code == "line.bends");
    }

    [Fact]
    public void M58_more_flammable_refrigerant_than_the_space_may_hold()
    {
        LayoutAssessment With(RefrigerantKind kind, double kg) => Of(l => l, u => Sheet(u, s => s with
        {
            Circuit = s.Circuit with
            {
                Refrigerant = kind,
                ChargeKg = kg
            }
        }));
        Single(With(RefrigerantKind.R290, 0.4), "charge.room").Level.ShouldBe(Severity.Stop);
        With(RefrigerantKind.R32, 0.6).Findings.ShouldNotContain(f => f.Code == "charge.room");
        Single(With(RefrigerantKind.R32, 1.9), "charge.room").Level.ShouldBe(Severity.Caution);
        With(RefrigerantKind.R410A, 3).Findings.ShouldNotContain(f => f.Code == "charge.room", "it does not burn");
    }

    [Fact]
    public void What_fire_salt_snow_oil_bilge_and_a_shared_drain_cost_is_said()
    {
        Single(Of(l => l with { Wall = l.Wall with { FireRated = true } }), "hole.fire");
        Single(Of(l => l with { Head = l.Head with { DrillM = 0.05 } }), "hole.drill-short");
        Single(Of(l => l with { Wall = l.Wall with { ThicknessM = 0.8 }, Head = l.Head with { DrillM = 1 } }), "hole.loose");
        Single(Of(l => l with { Head = l.Head with { HoleM = 0.04 } }), "hole.bundle").Level.ShouldBe(Severity.Stop);
        Single(Of(l => l with { Outdoor = l.Outdoor with { SaltAir = true } }), "outdoor.salt");
        Single(Of(l => l with { Outdoor = l.Outdoor with { SnowM = 0.5 } }), "outdoor.snow");
        Single(Of(l => l with { Line = l.Line with { Reused = true, OtherOil = true } }), "line.old-oil");
        Single(Of(l => l with { Drain = l.Drain with { ToBilge = true } }), "drain.bilge");
        Single(Of(l => l with { Drain = l.Drain with { Joined = true } }), "drain.back-up");
        Single(Of(l => l with { Drain = l.Drain with { Pit = true, SoaksLh = 0.5 } }), "drain.pit").Level.ShouldBe(Severity.Stop);
        Single(Of(l => l with { Sound = new SoundDesign { AtNight = true, PillowM = 0.3 } }), "sound.night");
        Single(Of(l => l with { Head = l.Head with { LeastUpM = 1.9 } }), "wall.height-rule");
    }

    [Fact]
    public void The_opening_of_a_rooftop_unit_is_judged_instead()
    {
        LayoutAssessment With(Func<OpeningDesign, OpeningDesign> change) =>
            Of(l => l with { Opening = change(l.Opening) }, u => u with { Chosen = "RT-11-115" });
        With(o => o).Wall.ShouldBeNull();
        With(o => o).Findings.ShouldNotContain(f => f.Level == Severity.Stop);
        Single(With(o => o with { CrownM = 2 }), "opening.gasket").Level.ShouldBe(Severity.Stop);
        Single(With(o => o with { PressedM = 0.008 }), "opening.gasket").Level.ShouldBe(Severity.Caution);
        Single(With(o => o with { LengthM = 0.40 }), "opening.size").Level.ShouldBe(Severity.Stop);
        Single(With(o => o with { RoofM = 0.2 }), "opening.ceiling");
        Single(With(o => o with { RibM = -0.1 }), "opening.rib").Level.ShouldBe(Severity.Stop);
        With(o => o with { RibM = -0.1, Framed = true }).Findings.ShouldNotContain(f => f.Code == "opening.rib");
        Single(With(o => o with { DrivingKg = 20 }), "opening.roof").Level.ShouldBe(Severity.Stop);
        Single(With(o => o with { PitchDeg = 12 }), "opening.pitch");
    }
}
