using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Mistakes;

/// <summary>Mistakes of carrying a unit that must show before anything is cut. Common practice, no published source.</summary>
public class MountMistakes
{
    private static readonly JobDesign Bus = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
        Layout = new LayoutDesign
        {
            Wall = new WallDesign { WidthM = 2.3, CeilingM = 1.95, RibFirstM = 0.18, RibPitchM = 0.255, RibWidthM = 0.04, Scanned = true },
            Outdoor = new OutdoorSpotDesign { Place = OutdoorPlace.RearFrame, RightM = 1.2, OffM = 0.12, UpM = 0.2 },
        },
        Mount = new MountDesign
        {
            Frame = new FrameDesign { Arm = Profile.Tube40, Strut = Profile.Tube30, ArmM = 0.52, SlotToM = 0.50 },
            Fixing = new FixingDesign { RibM = 0.003, BackingM = 0.06, Size = BoltSize.M10, ShiftM = 0.15 },
            Feet = new FeetDesign { EachNm = 8000 },
        },
    };

    private static MountAssessment Of(Func<MountDesign, MountDesign> change, Func<JobDesign, JobDesign>? job = null) =>
        Assessor.Assess((job ?? (j => j))(Bus with { Mount = change(Bus.Mount) })).Mount!;

    private static Finding Single(MountAssessment mount, string code) => mount.Findings.Single(f => f.Code == code);

    private static MountAssessment Fixed(Func<FixingDesign, FixingDesign> change, Func<JobDesign, JobDesign>? job = null) =>
        Of(m => m with { Fixing = change(m.Fixing) }, job);

    private static JobDesign Weighing(JobDesign j, double kg) =>
        j with { Unit = j.Unit with { Sheets = [new UnitSheetDesign { Unit = "MS-12-120", Outdoor = new OutdoorSheet { MassKg = kg } }] } };

    private static JobDesign House(JobDesign j, OutdoorPlace place = OutdoorPlace.Wall, WallBuild build = WallBuild.Studs) => j with
    {
        Survey = j.Survey with { Kind = RigKind.Cabin },
        Layout = j.Layout with { Wall = j.Layout.Wall with { Build = build }, Outdoor = j.Layout.Outdoor with { Place = place } },
    };

    private static JobDesign Boat(JobDesign j) => j with
    {
        Survey = j.Survey with { Kind = RigKind.Boat },
        Layout = j.Layout with { Outdoor = j.Layout.Outdoor with { Place = OutdoorPlace.Deck, SaltAir = true } },
    };

    [Fact]
    public void A_mount_well_built_raises_nothing_that_stops()
    {
        var mount = Of(m => m);
        string.Join("\n", mount.Findings.Where(f => f.Level == Severity.Stop).Select(f => $"{f.Code} {f.Words}")).ShouldBeEmpty();
        mount.Parts.ShouldAllBe(p => p.Used <= 1);
        mount.Parts.Select(p => p.Element).ShouldContain(MountElement.Holder);
    }

    [Fact]
    public void M21_arms_that_stand_between_the_ribs()
    {
        static JobDesign Wide(JobDesign j) => j with { Layout = j.Layout with { Wall = j.Layout.Wall with { RibPitchM = 0.61 } } };
        var finding = Single(Fixed(f => f with { ShiftM = 0.02 }, Wide), "fixing.misses");
        finding.Level.ShouldBe(Severity.Stop);
        finding.Remedies.Single().Changes.Single().Path.ShouldBe("/mount/fixing/spreader");
        var spread = Fixed(f => f with { ShiftM = 0.02, Spreader = true }, Wide);
        spread.Findings.ShouldNotContain(f => f.Code == "fixing.misses");
        spread.Landing!.Spreader!.MomentNm.ShouldBeGreaterThan(0);
        Single(Fixed(f => f with { Into = FixedTo.Skin }), "fixing.skin").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M22_feet_that_miss_the_slots()
    {
        var finding = Single(Of(m => m with { Frame = m.Frame with { SlotToM = 0.30 } }), "mount.feet");
        finding.Level.ShouldBe(Severity.Stop);
        var edit = finding.Remedies.Single();
        edit.Changes.ShouldContain(c => c.Path == "/mount/frame/slotToM");
        Single(Of(m => m with { Feet = m.Feet with { Bolt = BoltSize.M12 } },
            j => j with { Unit = j.Unit with { Sheets = [new UnitSheetDesign { Unit = "MS-12-120", Outdoor = new OutdoorSheet { SlotM = 0.01 } }] } }),
            "mount.foot-hole");
    }

    [Fact]
    public void M23_it_bears_the_weight_but_not_four_times_it_or_the_road()
    {
        var thin = Of(m => m with { Frame = m.Frame with { Arm = Profile.Tube20, Strut = Profile.Tube20, Kind = MountKind.Plain } });
        var finding = Single(thin, "mount.overloaded");
        finding.Level.ShouldBe(Severity.Stop);
        finding.Remedies.ShouldNotBeEmpty();
        var standing = Of(m => m with { Frame = m.Frame with { Arm = Profile.Tube20 }, Bear = m.Bear with { Times = 1, ShockG = 0, BrakeG = 0, CornerG = 0 } });
        standing.Parts.First(p => p.Element == MountElement.Arm).Used.ShouldBeLessThan(
            Of(m => m with { Frame = m.Frame with { Arm = Profile.Tube20 } }).Parts.First(p => p.Element == MountElement.Arm).Used);
        Single(standing, "road.shock").Level.ShouldBe(Severity.Caution);
        Single(Fixed(f => f with { How = FixingKind.SheetScrew, Size = BoltSize.M5, InRow = 1, RibM = 0.0005 }),
            "fixing.overloaded").Level.ShouldBe(Severity.Stop);
        Of(m => m with { Bear = m.Bear with { Unpaved = true } }).Parts[0].Used.ShouldBeGreaterThan(Of(m => m).Parts[0].Used);
        Single(Of(m => m with { Frame = m.Frame with { Kind = MountKind.Plain, Arm = Profile.Tube20 } }, j => Weighing(j, 110)), "mount.bends");
        Single(Of(m => m with { Frame = m.Frame with { Kind = MountKind.Plain, Arm = Profile.Tube25 } }), "mount.tired").Level.ShouldBe(Severity.Caution);
        Single(Of(m => m with { Frame = m.Frame with { StrutOutM = 2.4, StrutDownM = 2.4, ArmM = 2.5, Strut = Profile.Angle30 } }), "mount.slender");
        Single(Of(m => m with { Frame = m.Frame with { WeldM = 0.008 } }), "mount.weld");
        Single(Of(m => m with { Frame = m.Frame with { Kind = MountKind.Plain, ArmM = 1.4, SlotToM = 1.3 } },
            j => Weighing(j, 290) with { Layout = j.Layout with { Outdoor = j.Layout.Outdoor with { OffM = 0.9 } } }),
            "mount.nothing-passes").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void M24_fasteners_for_another_material_too_thin_too_short_or_unlocked()
    {
        Single(Fixed(f => f with { How = FixingKind.Anchor }, j => House(j)), "fixing.wrong").Level.ShouldBe(Severity.Stop);
        Single(Fixed(f => f with { How = FixingKind.Lag, ThreadM = 0.03 }, j => House(j)), "fixing.thread").Level.ShouldBe(Severity.Stop);
        Single(Fixed(f => f with { How = FixingKind.Lag, ThreadM = 0.07 }, j => House(j)), "fixing.thread").Level.ShouldBe(Severity.Caution);
        Single(Fixed(f => f, j => House(j, build: WallBuild.Masonry)), "fixing.unrated").Level.ShouldBe(Severity.Stop);
        Fixed(f => f with { PullN = 4000, ShearN = 4000 }, j => House(j, build: WallBuild.Masonry)).Findings.ShouldNotContain(f => f.Code == "fixing.unrated");
        Single(Fixed(f => f with { InRow = 6, Rows = 4 }), "fixing.crowded").Level.ShouldBe(Severity.Caution);
        Of(m => m).Findings.ShouldNotContain(f => f.Code == "fixing.crowded");
        Single(Fixed(f => f with { Locked = false }), "fixing.loose");
        Single(Fixed(f => f with { EdgeM = 0.006 }), "fixing.edge").Level.ShouldBe(Severity.Stop);
        Single(Fixed(f => f with { EdgeM = 0.014 }), "fixing.edge").Level.ShouldBe(Severity.Caution);
        Single(Fixed(f => f with { Sleeved = false }, Boat), "fixing.core").Level.ShouldBe(Severity.Stop);
        Fixed(f => f with { Sleeved = true }, Boat).Findings.ShouldNotContain(f => f.Code == "fixing.core");
    }

    [Fact]
    public void M25_feet_that_hum()
    {
        var finding = Single(Of(m => m with { Feet = m.Feet with { EachNm = 400e3 } }), "feet.hum");
        finding.Level.ShouldBe(Severity.Caution);
        var softer = finding.Remedies.Single().Changes.Single();
        var mended = Of(m => m with { Feet = m.Feet with { EachNm = softer.Value!.GetValue<double>() } });
        mended.Findings.ShouldNotContain(f => f.Code == "feet.hum");
        mended.Vibration.LowestRatio.ShouldBeGreaterThanOrEqualTo(Vibration.Wanted);
        Single(Of(m => m with { Feet = m.Feet with { Captive = false } }), "feet.captive").Level.ShouldBe(Severity.Stop);
        Single(Of(m => m with { Feet = m.Feet with { EachNm = 30e3 } }), "feet.road");
        Single(Of(m => m with { Feet = m.Feet with { EachNm = 50e3 } }), "feet.firm").Level.ShouldBe(Severity.Note);
    }

    [Fact]
    public void M26_a_slab_too_thin_or_loaded_too_early()
    {
        MountAssessment Pad(Func<SlabDesign, SlabDesign> change) => Of(m => m with { Slab = change(m.Slab) }, j => House(j, OutdoorPlace.Pad));
        Pad(s => s).Findings.ShouldNotContain(f => f.Code.StartsWith("slab."));
        Single(Pad(s => s with { ThickM = 0.05 }), "slab.thin").Level.ShouldBe(Severity.Caution);
        Single(Pad(s => s with { Days = 3 }), "slab.wait").Remedies.Single().Changes.Single().Value!.GetValue<double>().ShouldBe(8);
        Single(Pad(s => s with { SetsC = 2 }), "slab.cold").Level.ShouldBe(Severity.Stop);
        Single(Pad(s => s with { TopM = 0 }), "slab.low");
        Single(Pad(s => s with { Bedded = false }), "slab.bed");
        Of(m => m with { Slab = m.Slab with { ThickM = 0.03, WidthM = 0.35, LengthM = 0.35 }, Bear = m.Bear with { GustMs = 45 } },
            j => House(j, OutdoorPlace.Pad)).Parts.ShouldContain(p => p.Element == MountElement.Tipping && p.Used > 1);
    }

    [Fact]
    public void M27_axles_roof_height_and_width()
    {
        MountAssessment Road(Func<RoadDesign, RoadDesign> change, Func<MountDesign, MountDesign>? also = null) =>
            Of(m => (also ?? (x => x))(m) with { Road = change(m.Road) });
        Single(Road(r => r with { FrontKg = 1200, RearKg = 1790, RearMayKg = 1800, BehindM = 4.5 }), "road.axle").Level.ShouldBe(Severity.Stop);
        Single(Road(r => r with { FrontKg = 1200, RearKg = 1720, RearMayKg = 1800, BehindM = 3.6 }), "road.axle").Level.ShouldBe(Severity.Caution);
        Single(Road(r => r with { FrontKg = 1500, RearKg = 1400, GrossKg = 2905 }), "road.axle").Level.ShouldBe(Severity.Stop);
        Single(Road(r => r with { TopM = 3.1 }), "road.height").Words.ToString().ShouldContain("3.10 m");
        Single(Road(r => r with { TopM = 4.2 }), "road.height").Level.ShouldBe(Severity.Stop);
        Single(Road(r => r with { TopM = 3.95 }), "road.height").Level.ShouldBe(Severity.Caution);
        Single(Road(r => r with { WideM = 2.6 }), "road.width");
        Single(Road(r => r with { LowBehindM = 2.4, LowM = 0.3 }), "road.ramp").Level.ShouldBe(Severity.Caution);
        Single(Road(r => r with { LowBehindM = 3.5, LowM = 0.3 }), "road.ramp").Level.ShouldBe(Severity.Stop);
        Single(Road(r => r with { Covers = true }), "road.covers");
        Single(Road(r => r with { Spray = true }), "road.spray");
        Single(Road(r => r with { FrontKg = 250, RearKg = 350, TopM = 2.9, CentreM = 0.8 }), "road.tips");
        static MountDesign OnRoof(MountDesign m) => m with { Frame = m.Frame with { Kind = MountKind.RoofFrame } };
        Single(Road(r => r with { RoofKg = 20 }, OnRoof), "road.roof").Level.ShouldBe(Severity.Stop);
        Single(Road(r => r, OnRoof), "road.roof").Level.ShouldBe(Severity.Note);
    }

    [Fact]
    public void M28_unlike_metals_in_salt_air()
    {
        static MountDesign Bolted(MountDesign m, TouchingMetal skin) =>
            m with { Frame = m.Frame with { Surface = TouchingMetal.Stainless304, Skin = skin } };
        Single(Of(m => Bolted(m, TouchingMetal.Aluminium), Boat), "mount.metals").Level.ShouldBe(Severity.Stop);
        var finding = Single(Of(m => Bolted(m, TouchingMetal.Aluminium)), "mount.metals");
        finding.Level.ShouldBe(Severity.Caution);
        finding.Words.ToString().ShouldContain("aluminium is eaten");
        Of(m => Bolted(m, TouchingMetal.None), Boat).Findings.ShouldNotContain(f => f.Code == "mount.metals");
    }

    [Fact]
    public void A_boat_heels_lists_and_holds_petrol()
    {
        MountAssessment At(Func<RoadDesign, RoadDesign> change) => Of(m => m with { Road = change(m.Road) }, Boat);
        Single(At(r => r with { HullHoleM = 0.45 }), "boat.hole").Level.ShouldBe(Severity.Stop);
        Single(At(r => r with { HullHoleM = 0.75 }), "boat.hole").Level.ShouldBe(Severity.Caution);
        Single(At(r => r with { BoatKg = 800, OffMiddleM = 1.5 }), "boat.list");
        Single(At(r => r with { PetrolSpace = true }), "boat.petrol").Level.ShouldBe(Severity.Stop);
        At(r => r).Cases.Select(c => c.Name).ShouldContain("roll to the left");
    }

    [Fact]
    public void A_railing_a_tow_bar_and_a_cradle_are_judged()
    {
        var railing = Of(m => m, j => House(j, OutdoorPlace.Railing));
        railing.PutUp[0].ShouldContain("Safety cable");
        railing.TakeDown[^2].ShouldContain("cable comes off last");
        Single(railing, "railing.unrated").Level.ShouldBe(Severity.Caution);
        Of(m => m with { Railing = m.Railing with { MayN = 100 } }, j => House(j, OutdoorPlace.Railing)).Parts[0].Element.ShouldBe(MountElement.Railing);
        var window = Of(m => m, j => House(j, OutdoorPlace.Window));
        window.PutUp[0].ShouldContain("Safety cable");
        window.TakeDown[^2].ShouldContain("cable comes off last");
        Single(window, "railing.unrated").Words.ToString().ShouldContain("the sash");
        Of(m => m with { Railing = m.Railing with { MayN = 100 } }, j => House(j, OutdoorPlace.Window)).Parts[0].Element.ShouldBe(MountElement.Railing);
        window.Findings.ShouldNotContain(f => f.Code.StartsWith("fixing."));
        var tow = Of(m => m with { Frame = m.Frame with { Kind = MountKind.TowBar }, Road = m.Road with { TowBarKg = 20 } });
        tow.Parts.ShouldContain(p => p.Element == MountElement.TowBar && p.Used > 1);
        var cradle = Of(m => m with { Frame = m.Frame with { Kind = MountKind.Cradle, StandM = 0.4 } });
        cradle.Parts.ShouldContain(p => p.Element == MountElement.Leg);
        Single(Of(m => m, j => Weighing(j, 45)), "mount.lift").Words.ToString().ShouldContain("hoist");
        Single(Of(m => m, j => House(j)), "mount.gust").Level.ShouldBe(Severity.Note);
    }
}
