using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>
/// What the stations have to say: each finding on a rig that earns it, and not on the same rig without the cause. Thresholds: common practice,
/// no published source, unless the station names one.
/// </summary>
public class StationFindingTests
{
    /// <summary>A van that Survey, Start and Energy are content with.</summary>
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120", InletRiseK = 0 },
        Survey = NewcomersVan.Design.Survey with
        {
            Devices = [],
            Sources = new SourcesDesign
            {
                Battery = new BatteryDesign { NominalV = 48, BlockAh = 100, Blocks = 4, FuseInterruptsA = 50000 },
                Inverter = new InverterDesign { RatedW = 3000 },
                Modules = new ModulesDesign { Count = 4, RatedW = 200 },
            },
        },
    };

    private static JobDesign Sources(JobDesign rig, Func<SourcesDesign, SourcesDesign> change) =>
        rig with { Survey = rig.Survey with { Sources = change(rig.Survey.Sources) } };

    private static JobDesign Place(JobDesign rig, Func<PlaceDesign, PlaceDesign> change) =>
        rig with { Survey = rig.Survey with { Place = change(rig.Survey.Place) } };

    /// <summary>The same in a night that stays hot.</summary>
    private static readonly JobDesign HotNight = Place(Van, p => p with { DryBulbC = 42, NightLowC = 30 });

    private static JobDesign Shore(double amperes, string unit, Func<StartDesign, StartDesign>? start = null) =>
        Sources(Van, s => s with { Shore = new ShoreDesign { PluggedIn = true, Volts = 120, BreakerA = amperes } }) with
        {
            Unit = Van.Unit with { Chosen = unit },
            Start = (start ?? (s => s))(Van.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.None }),
        };

    private static List<Finding> All(JobDesign design)
    {
        var a = Assessor.Assess(design);
        a.Faults.ShouldBeEmpty();
        return [.. a.Survey!.Findings, .. a.Load!.Findings, .. a.Unit!.Findings, .. a.Start!.Findings, .. a.Energy!.Findings, .. a.Handover!.Findings];
    }

    private static void Earns(JobDesign with, JobDesign without, string code, Severity level)
    {
        All(with).Where(f => f.Code == code).Select(f => f.Level).ShouldContain(level, code);
        All(without).ShouldNotContain(f => f.Code == code, code);
    }

    [Fact]
    public void Skin_of_bare_metal() =>
        Earns(Van with { Survey = Van.Survey with { Walls = new SkinDesign { Preset = "van-steel", InsulationM = 0 } } }, Van, "skin.bare", Severity.Note);

    [Fact]
    public void A_place_hotter_than_many_plates_go() => Earns(Place(Van, p => p with { DryBulbC = 48, NightLowC = 30 }), Van, "design.extreme", Severity.Note);

    [Fact]
    public void A_sun_that_does_not_set() => Earns(Place(Van, p => p with { LatitudeDeg = 75, Month = 6, Day = 21 }), Van, "sun.polar", Severity.Note);

    [Fact]
    public void A_lithium_bank_in_frost() =>
        Earns(Sources(Van, s => s with { Battery = s.Battery with { TemperatureC = -2 } }), Van, "battery.cold-charge", Severity.Stop);

    [Fact]
    public void Nights_of_frost_for_a_bank_that_is_warm_by_day() => Earns(
        Van with { Survey = Van.Survey with { Climate = Van.Survey.Climate with { WinterC = -8 } } },
        Van with { Survey = Van.Survey with { Climate = Van.Survey.Climate with { WinterC = 4 } } }, "battery.cold-nights", Severity.Note);

    [Fact]
    public void A_flooded_bank_in_the_living_space() =>
        Earns(Sources(Van, s => s with { Battery = s.Battery with { Chemistry = Chemistry.Flooded } }), Van, "battery.hydrogen", Severity.Stop);

    [Theory]
    [InlineData(false, Severity.Stop)]
    [InlineData(true, null)]
    public void A_generator_that_starts_by_itself_wants_an_alarm(bool alarm, Severity? level)
    {
        var rig = Sources(Van, s => s with { Generator = new GeneratorDesign { Fitted = true, AutoStart = true, CoAlarm = alarm } });
        All(rig).Where(f => f.Code == "gen.co").Select(f => (Severity?)f.Level).FirstOrDefault().ShouldBe(level);
    }

    [Fact]
    public void Much_glass_in_the_sun() =>
        Earns(
            Van with
            {
                Survey =
                Van.Survey with { Windows = [new WindowDesign { Name = "sun front", Side = Side.Roof, WidthM = 1.6, HeightM = 2.2, Glazing = "single" }] }
            },
            Van, "load.glass", Severity.Caution);

    [Fact]
    public void A_fan_left_on() =>
        Earns(Van with { Survey = Van.Survey with { Airing = new AiringDesign { FanM3s = 0.2 } } }, Van, "air.hot", Severity.Caution);

    [Fact]
    public void Another_heading_helps_where_much_glass_faces_the_sun() =>
        All(Van with
        {
            Survey = Van.Survey with
            {
                HeadingDeg = 180,
                Windows = [new WindowDesign { Name = "large", Side = Side.Right, WidthM = 3, HeightM = 1,
            Glazing = "single", Cover = "none" }]
            }
        }).ShouldContain(f => f.Code == "heading.gain");

    [Theory]
    [InlineData(3, null)]
    [InlineData(5, Severity.Caution)]
    [InlineData(12, Severity.Stop)]
    public void A_condenser_behind_a_grille_in_the_heat(double riseK, Severity? level)
    {
        // The unit's own limit is 50 °C; four kelvin above it its pressure cuts it out.
        var rig = Place(Van, p => p with { DryBulbC = 46 });
        All(rig with { Unit = rig.Unit with { InletRiseK = riseK } }).Where(f => f.Code == "unit.outdoor-limit").Select(f => (Severity?)f.Level)
            .FirstOrDefault().ShouldBe(level);
    }

    private static JobDesign TwoSpaces(double secondHeadW) => Van with
    {
        Survey = Van.Survey with { Further = [new FurtherSpaceDesign { Name = "bunk" }] },
        Unit = Van.Unit with { Heads = [new HeadDesign { Space = 1, RatedCapacityW = 2640 }, new HeadDesign { Space = 2, RatedCapacityW = secondHeadW }] },
    };

    [Fact]
    public void One_outdoor_unit_with_two_heads_of_which_one_is_too_small_for_its_space() =>
        Earns(TwoSpaces(500), TwoSpaces(4000), "unit.zone-short", Severity.Caution);

    [Fact]
    public void A_space_without_a_head_of_its_own() =>
        Earns(TwoSpaces(2640) with { Unit = Van.Unit with { Heads = [new HeadDesign { Space = 1 }] } }, TwoSpaces(2640), "unit.zone", Severity.Caution);

    [Fact]
    public void A_heat_pump_too_weak_for_the_coldest_night()
    {
        JobDesign Winter(double celsius) => Van with { Survey = Van.Survey with { Climate = Van.Survey.Climate with { WinterC = celsius } } };
        Earns(Winter(-14), Winter(12), "heat.short", Severity.Caution);
        All(Winter(-30)).Single(f => f.Code == "heat.short").Level.ShouldBe(Severity.Stop, "below its lowest it gives nothing");
    }

    [Fact]
    public void Skin_that_loses_more_than_its_floor_deserves() =>
        Earns(Van with
        {
            Survey = Van.Survey with
            {
                Walls = new SkinDesign { Preset = "van-steel", InsulationM = 0 },
                Roof = new SkinDesign { Preset = "van-steel", InsulationM = 0 }
            }
        }, Van, "load.bare", Severity.Caution);

    [Fact]
    public void A_damp_evening_under_an_oversized_unit()
    {
        // 31 °C and damp, not much sun: a large single-speed unit cycles and hardly dries.
        var damp = Place(Van, p => p with { DryBulbC = 31, NightLowC = 27, HumidityPct = 75 }) with { Unit = Van.Unit with { Chosen = "RT-15-115" } };
        All(damp).ShouldContain(f => f.Code == "air.damp" || f.Code == "air.quiet-evening");
        All(Van).ShouldNotContain(f => f.Code == "air.damp" && f.Level == Severity.Caution);
    }

    [Fact]
    public void A_loud_unit_beside_the_bed()
    {
        var loud = UnitCatalogue.Find("MS-09-120")! with { Id = "loud", NoiseInDb = 60 };
        Earns(Van with { Unit = Van.Unit with { Chosen = "loud", Own = [loud] } },
            Van with { Unit = Van.Unit with { Chosen = "loud", Own = [loud with { NoiseInDb = 40 }] } }, "unit.loud", Severity.Note);
    }

    [Fact]
    public void A_start_with_little_left()
    {
        // A high-frequency inverter of 3,000 W starts a 13.5 k rooftop unit with 70 % of what it bears, and its motor hardly larger.
        var rig = Van with { Unit = Van.Unit with { Chosen = "RT-13-115" }, Start = Van.Start with { Remedy = StartRemedy.None } };
        Earns(rig, rig with { Start = rig.Start with { Remedy = StartRemedy.SoftStarter } }, "start.thin-margin", Severity.Caution);
        All(rig).ShouldContain(f => f.Code == "start.largest");
    }

    [Fact]
    public void A_start_that_trips_and_one_that_cannot_run_on()
    {
        JobDesign With(double watts, StartRemedy remedy) => Sources(Van, s => s with { Inverter = s.Inverter with { RatedW = watts } }) with
        {
            Unit = Van.Unit with { Chosen = "RT-13-115" },
            Start = Van.Start with { Remedy = remedy }
        };
        All(With(2000, StartRemedy.None)).Single(f => f.Code == "start.trips").Level.ShouldBe(Severity.Stop);
        All(With(1500, StartRemedy.SoftStarter)).Single(f => f.Code == "start.cannot-run").Level.ShouldBe(Severity.Stop);
        All(With(3000, StartRemedy.SoftStarter)).ShouldNotContain(f => f.Code.StartsWith("start.") && f.Level == Severity.Stop);
    }

    [Fact]
    public void A_start_that_fails_only_at_the_reserve()
    {
        // Four cells of 200 Ah start it at half charge and fall under the cut-off at a fifth.
        var rig = Sources(Van, s => s with
        {
            Battery = new BatteryDesign { NominalV = 12, BlockAh = 100, Blocks = 3, CableMm2 = 95, FuseInterruptsA = 50000 },
            Inverter = new InverterDesign
            {
                Class = InverterClass.Transformer,
                RatedW = 3000
            }
        }) with
        {
            Unit = Van.Unit with { Chosen = "RT-13-115" },
            Start = Van.Start with { Remedy = StartRemedy.None, Soc = 0.9, ReserveSoc = 0.05 }
        };
        All(rig).Single(f => f.Code == "start.at-reserve").Level.ShouldBe(Severity.Stop);
        All(rig with { Start = rig.Start with { ReserveSoc = 0.6 } }).ShouldNotContain(f => f.Code == "start.at-reserve");
    }

    [Fact]
    public void Low_voltage_at_the_end_of_a_thin_cable()
    {
        Earns(Shore(30, "RT-13-115", s => s with { CableM = 30, CableMm2 = 1.5 }), Shore(30, "RT-13-115", s => s with { CableM = 3, CableMm2 = 6 }),
            "start.low-voltage", Severity.Caution);
        All(Shore(30, "RT-13-115", s => s with { CableM = 50, CableMm2 = 1.5 })).ShouldContain(f => f.Code == "start.run-voltage");
    }

    [Fact]
    public void A_breaker_that_carries_it_for_hours_and_one_that_does_not() => Earns(Shore(15, "RT-13-115", s => s with { Remedy = StartRemedy.SoftStarter }),
        Shore(30, "RT-13-115", s => s with { Remedy = StartRemedy.SoftStarter }), "start.continuous", Severity.Caution);

    [Fact]
    public void A_breaker_that_may_trip_at_the_start()
    {
        var rig = Sources(Van, s => s with { Shore = new ShoreDesign { PluggedIn = true, Volts = 230, BreakerA = 4, CableM = 2 } }) with
        {
            Unit = Van.Unit with { Chosen = "RT-24-230" },
            Start = Van.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.None }
        };
        Earns(rig, Sources(rig, s => s with { Shore = s.Shore with { BreakerA = 16 } }), "start.breaker", Severity.Caution);
    }

    [Fact]
    public void An_inverter_driven_unit_has_no_locked_rotor() =>
        Earns(Van, Van with { Unit = Van.Unit with { Chosen = "RT-09-115" } }, "start.soft-by-nature", Severity.Note);

    [Theory]
    [InlineData(1, "start.sun", Severity.Stop)]
    [InlineData(10, "start.sun-only", Severity.Note)]
    public void The_sun_alone(int modules, string code, Severity level)
    {
        var rig = Sources(Van, s => s with { Modules = new ModulesDesign { Count = modules, RatedW = 400 } }) with
        {
            Unit = Van.Unit with { Chosen = "PH-24-240" },
            Start = Van.Start with { On = SourceChoice.Sun }
        };
        All(rig).Where(f => f.Code == code).Select(f => f.Level).ShouldContain(level);
    }

    [Fact]
    public void A_bank_that_does_not_last_the_night_offers_what_was_found_to_help()
    {
        var rig = Sources(HotNight, s => s with { Battery = s.Battery with { Blocks = 1, BlockAh = 30 }, Modules = new ModulesDesign() });
        var aim = All(rig).Single(f => f.Code == "energy.aim");
        aim.Level.ShouldBe(Severity.Stop);
        aim.Remedies.ShouldNotBeEmpty();
        All(rig).ShouldContain(f => f.Code == "energy.cut-off" && f.Level == Severity.Stop);
        All(rig).ShouldContain(f => f.Code == "energy.sinks");
        All(HotNight).ShouldNotContain(f => f.Code == "energy.aim");
    }

    [Fact]
    public void Sun_without_a_taker() => Earns(Sources(Van, s => s with { Modules = new ModulesDesign { Count = 20, RatedW = 400 } }),
        Sources(Van, s => s with { Modules = new ModulesDesign { Count = 1, RatedW = 100 } }), "energy.curtailed", Severity.Note);

    [Fact]
    public void Close_to_the_reserve()
    {
        // The bank is found whose lowest charge lies just above the reserve.
        for (var ampHours = 20.0; ampHours < 600; ampHours *= 1.04)
        {
            var rig = Sources(HotNight, s => s with { Battery = s.Battery with { Blocks = 1, BlockAh = ampHours } });
            var lowest = Assessor.Assess(rig).Energy!;
            if (lowest.HeldHours < lowest.WindowHours - 0.05)
                continue;
            All(rig).Any(f => f.Code == "energy.near-reserve").ShouldBe(true, $"{ampHours} Ah is the smallest that holds");
            All(Sources(rig, s => s with { Battery = s.Battery with { BlockAh = 3 * ampHours } })).ShouldNotContain(f => f.Code == "energy.near-reserve");
            return;
        }
        Assert.Fail("no bank holds the night");
    }

    [Fact]
    public void A_lead_bank_taken_deep_every_night() => Earns(
        Sources(HotNight, s => s with { Battery = s.Battery with { Chemistry = Chemistry.Agm, Blocks = 1 }, Modules = new ModulesDesign() }),
        Sources(HotNight, s => s with { Battery = s.Battery with { Chemistry = Chemistry.Agm, Blocks = 20 } }), "battery.deep", Severity.Caution);

    [Fact]
    public void A_diesel_that_idles_soots_up()
    {
        JobDesign With(FuelKind fuel, double chargerW) => Sources(HotNight, s => s with
        {
            Battery = s.Battery with { Blocks = 1, BlockAh = 60 },
            Modules = new ModulesDesign(),
            Generator = new GeneratorDesign
            {
                Fitted = true,
                AutoStart = true,
                CoAlarm = true,
                Kind = GeneratorKind.Conventional,
                Fuel = fuel,
                RatedW = 6000,
                MaximumW = 7500,
                AllowedFrom = 0,
                AllowedTo = 24,
                ChargerW = chargerW
            },
        });
        Earns(With(FuelKind.Diesel, 400), With(FuelKind.Petrol, 400), "gen.low-load", Severity.Note);
        All(With(FuelKind.Diesel, 400)).ShouldContain(f => f.Code == "energy.generator");
    }

    [Fact]
    public void More_modules_than_the_roof_holds() => Earns(Sources(Van, s => s with { Modules = s.Modules with { Count = 40 } }),
        Sources(Van, s => s with { Modules = s.Modules with { Count = 1 } }), "roof.full", Severity.Caution);

    [Fact]
    public void An_array_that_arcs()
    {
        JobDesign With(int series) =>
            Sources(Van, s => s with { Modules = s.Modules with { Count = 4, Series = series }, Controller = new ControllerDesign { Known = true } });
        Earns(With(4), With(2), "pv.arc", Severity.Caution);
    }

    [Fact]
    public void A_sheet_without_readings_is_a_draft()
    {
        var sheet = Assessor.Assess(Van).Handover!;
        sheet.Draft.ShouldBeTrue();
        sheet.Findings.ShouldContain(f => f.Code == "handover.unproved" && f.Level == Severity.Caution);
        var open = Sources(Van, s => s with { Battery = s.Battery with { TemperatureC = -2 } });
        Assessor.Assess(open).Handover!.Findings.Single(f => f.Code == "handover.incomplete").Level.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void Every_finding_of_these_rigs_speaks_in_a_whole_sentence_and_every_remedy_can_be_taken()
    {
        JobDesign[] rigs = [Van, NewcomersVan.Design, Shore(15, "RT-13-115"),
            Sources(Van, s => s with { Battery = s.Battery with { Blocks = 1, BlockAh = 20 } }),
            Place(Van, p => p with { DryBulbC = 48, NightLowC = 32, HumidityPct = 60 })];
        foreach (var finding in rigs.SelectMany(All))
        {
            var words = finding.Words.ToString();
            (words.EndsWith('.') && char.IsUpper(words[0]) || char.IsDigit(words[0])).ShouldBeTrue($"{finding.Code}: {words}");
            words.ShouldNotContain("NaN");
            words.ShouldNotContain("{");
            foreach (var change in finding.Remedies.SelectMany(r => r.Changes))
                change.Path.ShouldStartWith("/");
        }
    }
}
