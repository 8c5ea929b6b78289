using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Tests.Job;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Load;

/// <summary>Leaning glass, the ground, roofs under modules, hulls in the water, buildings as they are built. Sources beside each check.</summary>
public class GroundAndBuildingTests
{
    private static readonly JobDesign Van = NewcomersVan.Design;

    private static double Peak(SurveyDesign survey) => RigDay.Of(survey, Van.Load).Load.PeakW;

    private static SurveyDesign Windscreen(string cover, double? tilt) => Van.Survey with
    {
        Place = Van.Survey.Place with { DryBulbC = 40, NightLowC = 24 },
        HeadingDeg = 180,
        Windows = [new WindowDesign { Name = "windscreen", Side = Side.Front, WidthM = 1.6, HeightM = 0.8, Glazing = "windscreen", Cover = cover,
            TiltDeg = tilt }],
    };

    /// <summary>At 55° a van at 40 °C has a peak 14 to 21 % higher with bare glass, 10 to 12 with a bubble screen, some 7 with quilted covers: own
    /// computation outside the project, over several vans; the band is wider here since this van is another.</summary>
    [Theory]
    [InlineData("none", 0.08, 0.24)]
    [InlineData("bubble", 0.04, 0.15)]
    [InlineData("quilted", 0.02, 0.10)]
    public void A_windscreen_that_leans_takes_more_sun(string cover, double least, double most) =>
        (Peak(Windscreen(cover, 55)) / Peak(Windscreen(cover, 90)) - 1).ShouldBeInRange(least, most);

    [Theory]
    [InlineData(RigKind.Van, 50)]
    [InlineData(RigKind.Bus, 80)]
    [InlineData(RigKind.Rv, 45)]
    [InlineData(RigKind.Boat, 40)]
    [InlineData(RigKind.Cabin, 90)]
    public void Windscreens_lean_as_is_usual_unless_it_is_said(RigKind kind, double tilt)
    {
        var front = new WindowDesign { Side = Side.Front };
        WindowTilt.Of(front, kind).ShouldBe(tilt);
        WindowTilt.Of(front with { TiltDeg = 62 }, kind).ShouldBe(62);
        WindowTilt.Of(front with { Side = Side.Left }, kind).ShouldBe(90);
        WindowTilt.Of(front with { Side = Side.Roof }, kind).ShouldBe(0);
    }

    [Fact]
    public void Hot_ground_heats_more_than_grass_and_every_kind_is_finite()
    {
        double On(GroundKind ground) => Peak(Van.Survey with { Place = Van.Survey.Place with { Ground = ground, Albedo = 0.2 } });
        On(GroundKind.Asphalt).ShouldBeGreaterThan(On(GroundKind.Gravel));
        On(GroundKind.Gravel).ShouldBeGreaterThan(On(GroundKind.Grass));
        foreach (var kind in Enum.GetValues<GroundKind>())
            double.IsFinite(On(kind)).ShouldBeTrue();
        // Its own reflectance counts where none is typed.
        Peak(Van.Survey with { Place = Van.Survey.Place with { Ground = GroundKind.Sand, Albedo = null } })
            .ShouldBeGreaterThan(Peak(Van.Survey with { Place = Van.Survey.Place with { Ground = GroundKind.Sand, Albedo = 0.1 } }));
    }

    [Fact]
    public void Modules_shade_a_dark_roof()
    {
        SurveyDesign Roof(string paint, bool shade) => Van.Survey with
        {
            Roof = Van.Survey.Roof with { Paint = paint, InsulationM = 0.01 },
            Sources = Van.Survey.Sources with { Modules = Van.Survey.Sources.Modules with { Count = 4, LengthM = 1.5, WidthM = 0.7, ShadeRoof = shade } },
        };
        Peak(Roof("black", true)).ShouldBeLessThan(0.97 * Peak(Roof("black", false)));
        Math.Abs(Peak(Roof("roof-coat", true)) / Peak(Roof("roof-coat", false)) - 1).ShouldBeLessThan(0.06);
    }

    [Fact]
    public void The_part_of_a_hull_in_the_water_is_cooled_by_it()
    {
        var boat = AnyDesign.Named["Gannet's Rest"].Survey;
        var afloat = SurveyedSpace.Build(boat with { WaterlineM = 0.6, WaterC = 18 }, 25, 50);
        afloat.Faces.Where(f => f.Name.EndsWith("under water", StringComparison.Ordinal)).ShouldNotBeEmpty();
        afloat.Faces.Sum(f => f.AreaM2).ShouldBe(SurveyedSpace.Build(boat, 25, 50).Faces.Sum(f => f.AreaM2), 1e-9);
        RigDay.Of(boat with { WaterlineM = 0.6, WaterC = 18 }, AnyDesign.Named["Gannet's Rest"].Load).Load.PeakW
            .ShouldBeLessThan(RigDay.Of(boat with { WaterC = 18 }, AnyDesign.Named["Gannet's Rest"].Load).Load.PeakW);
    }

    /// <summary>
    /// Resistances: ASHRAE Handbook Fundamentals 2017 (SI), ch. 26, table 1, from memory: hollow normal-weight block of 200 mm 0.17 to 0.20 m²K/W; brick of
    /// 1,760 kg/m³ 0.71 to 0.85 W/mK. Solid wood: ISO 10456, 0.13 W/mK at 500 kg/m³, from memory.
    /// </summary>
    [Fact]
    public void Materials_of_buildings_agree_with_the_tables()
    {
        Layer.Of("block-hollow", 0.2).Resistance.ShouldBeInRange(0.17, 0.20);
        Materials.Find("brick")!.ConductivityWmK.ShouldBeInRange(0.71, 0.85);
        Materials.Find("log")!.ConductivityWmK.ShouldBe(0.13);
        double U(string preset, string insulation, double thickness)
        {
            var (layers, ribs) = RigBox.Skin(new SkinDesign { Preset = preset, Insulation = insulation, InsulationM = thickness }, "walls");
            return Layers.Transmittance(layers, 0.13, 0.04) + ribs;
        }
        // Common practice: 180 mm of log about 0.64, 60 mm PU panel 0.4, bare corrugated steel 5 to 6 W/m²K.
        U("log", "pir", 0).ShouldBe(0.64, 0.02);
        U("sandwich-panel", "pu-closed", 0.06).ShouldBe(0.43, 0.03);
        U("corrugated", "pu-closed", 0).ShouldBeInRange(5, 6.2);
        U("corrugated", "pu-closed", 0.05).ShouldBeLessThan(0.75);
    }

    private static SurveyDesign Attic(string paint, double airChanges) => Van.Survey with
    {
        Kind = RigKind.Cabin,
        Place = Van.Survey.Place with { DryBulbC = 33, NightLowC = 23 },
        Space = new SpaceDesign
        {
            LengthM = 8,
            WidthM = 6,
            HeightM = 2.4,
            Attic = new AtticDesign
            {
                Above = true,
                Paint = paint,
                AirChangesPerHour = airChanges
            }
        },
        Roof = new SkinDesign { Preset = "ceiling", Insulation = "glass-wool", InsulationM = 0.15 },
    };

    /// <summary>A vented attic under a dark roof is near 60 °C on a 33 °C day; common practice, no published source.</summary>
    [Fact]
    public void A_vented_attic_gets_hot()
    {
        double Hottest(string paint, double airChanges)
        {
            var day = RigDay.Of(Attic(paint, airChanges), Van.Load).Day;
            var roof = day.Space.Faces.ToList().FindIndex(f => f.Attic is not null);
            return Enumerable.Range(0, day.Drivers.Steps).Max(k => day.Drivers.At(k)[roof]);
        }
        Hottest("mid-grey", 4).ShouldBeInRange(54, 66);
        Hottest("white", 3).ShouldBeLessThan(Hottest("dark-green", 3) - 10);
        Hottest("dark-green", 30).ShouldBeLessThan(Hottest("dark-green", 3) - 5);
    }

    [Fact]
    public void A_hot_attic_and_a_roof_under_modules_are_told()
    {
        LoadStation.Assess(Attic("dark-green", 3), Van.Load).Findings.ShouldContain(f => f.Code == "attic.hot");
        LoadStation.Assess(Attic("roof-coat", 20), Van.Load).Findings.ShouldNotContain(f => f.Code == "attic.hot");
        var dark = Van.Survey with
        {
            Roof = Van.Survey.Roof with { Paint = "black", InsulationM = 0.01 },
            Sources = Van.Survey.Sources with { Modules = Van.Survey.Sources.Modules with { Count = 4, LengthM = 1.5, WidthM = 0.7 } },
        };
        LoadStation.Assess(dark, Van.Load).Findings.ShouldContain(f => f.Code == "roof.modules");
    }

    [Fact]
    public void What_a_side_adjoins_decides_what_comes_through_it()
    {
        SurveyDesign Left(Beside beside, double roomC = 30) => Van.Survey with
        {
            Space = Van.Survey.Space with { Adjoining = new AdjoiningDesign { Left = new BesideDesign { Is = beside, RoomC = roomC } } },
        };
        var cooled = SurveyedSpace.Build(Left(Beside.CooledRoom), 25, 50);
        cooled.Faces.ShouldNotContain(f => f.Name == "left side");
        Peak(Left(Beside.CooledRoom)).ShouldBeLessThan(Peak(Left(Beside.ShadedAir)));
        Peak(Left(Beside.ShadedAir)).ShouldBeLessThan(Peak(Van.Survey with { HeadingDeg = 0 }));
        Peak(Left(Beside.Room, 40)).ShouldBeGreaterThan(Peak(Left(Beside.Room, 20)));
        Peak(Left(Beside.Earth)).ShouldBeLessThan(Peak(Left(Beside.ShadedAir)));
    }

    /// <summary>
    /// A block room of 7.6 × 6.1 × 3.05 m with two attached sides is held at 22 °C on a humid 33 °C day by a small inverter-driven unit that draws 0.4 to
    /// 1.0 kW; common practice, no published source.
    /// </summary>
    [Fact]
    public void A_block_room_with_two_attached_sides_is_held_by_a_small_unit()
    {
        var block = new SkinDesign { Preset = "block-hollow", Insulation = "eps", InsulationM = 0.05, Paint = "cream" };
        var room = Van with
        {
            Survey = Van.Survey with
            {
                Kind = RigKind.Workshop,
                Place = Van.Survey.Place with { DryBulbC = 33, NightLowC = 25, HumidityPct = 60, Ground = GroundKind.Grass },
                Space = new SpaceDesign
                {
                    LengthM = 7.6,
                    WidthM = 6.1,
                    HeightM = 3.05,
                    AirChangesPerHour = 0.3,
                    HeatCapacityJm2K = 150000,
                    Adjoining = new AdjoiningDesign { Left = new BesideDesign { Is = Beside.CooledRoom }, Rear = new BesideDesign { Is = Beside.CooledRoom } },
                    Attic = new AtticDesign { Above = true },
                },
                Walls = block,
                Roof = new SkinDesign { Preset = "ceiling", Insulation = "glass-wool", InsulationM = 0.15 },
                Floor = new SkinDesign { Preset = "slab", InsulationM = 0 },
                Underside = Underside.Ground,
                Windows = [new WindowDesign { Side = Side.Front, WidthM = 1.2, HeightM = 1.0, Glazing = "double", Cover = "light-curtain" }],
                Further = [],
                Devices = [],
                People = new PeopleDesign { Count = 1, SleepHere = true },
            },
            Load = new LoadDesign { SetpointC = 22, HumidityPct = 55 },
        };
        var day = RigDay.Of(room.Survey, room.Load).Day;
        foreach (var id in new[] { "MS-09-120", "MS-12-120" })
        {
            var aim = room.Energy with { SetpointC = 22, OtherwiseC = 22, From = 12, To = 18, StartHour = 0 };
            var inputs = new EnergyInputs(room.Survey, room.Load, room.Unit, UnitCatalogue.Find(id)!, aim, 0.2);
            var demand = new DayRun(inputs, day, 300, 2).Demand();
            var afternoon = demand.AirconW!.Skip(288 + 12 * 12).Take(6 * 12).ToList();
            afternoon.Average().ShouldBeInRange(400, 1000, id);
        }
    }
}
