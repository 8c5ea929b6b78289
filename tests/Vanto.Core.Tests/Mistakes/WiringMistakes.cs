using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Mistakes;

/// <summary>Mistakes of wiring that must show before anything is bought or powered. Common practice, no published source.</summary>
public class WiringMistakes
{
    private static readonly JobDesign Van = NewcomersVan.Design with
    {
        Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
        Survey = NewcomersVan.Design.Survey with
        {
            Sources = NewcomersVan.Design.Survey.Sources with
            {
                Battery = NewcomersVan.Design.Survey.Sources.Battery with { CableMm2 = 150, CableM = 1 },
            },
        },
    };

    private static WiringAssessment Of(Func<WiringDesign, WiringDesign> change, Func<JobDesign, JobDesign>? job = null) =>
        Assessor.Assess((job ?? (j => j))(Van with { Wiring = change(Van.Wiring) })).Wiring!;

    private static WiringAssessment Branch(Func<BranchDesign, BranchDesign> change, Func<JobDesign, JobDesign>? job = null) =>
        Of(w => w with { Branch = change(w.Branch) }, job);

    private static Finding Single(WiringAssessment r, string code) => r.Findings.Single(f => f.Code == code);

    private static void Has(WiringAssessment r, string code, Severity level) => Single(r, code).Level.ShouldBe(level, Single(r, code).Words.ToString());

    private static void HasNot(WiringAssessment r, string code) => r.Findings.ShouldNotContain(f => f.Code == code);

    private static JobDesign As(JobDesign j, RigKind kind, string unit, double mainsV = 120) => j with
    {
        Unit = j.Unit with { Chosen = unit },
        Survey = j.Survey with
        {
            Kind = kind,
            Sources = j.Survey.Sources with
            {
                Inverter = j.Survey.Sources.Inverter with { OutputV = mainsV },
                Shore = j.Survey.Sources.Shore with { Volts = mainsV }
            },
        },
    };

    private static JobDesign Rooftop(JobDesign j) => As(j, RigKind.Van, "RT-13-115");

    [Fact]
    public void M08_a_string_too_high_for_its_isolator_on_a_cold_morning()
    {
        static JobDesign Strings(JobDesign j) => j with
        {
            Survey = j.Survey with { Sources = j.Survey.Sources with { Modules = j.Survey.Sources.Modules with { Count = 4, Series = 4, VocV = 49.5 } } },
        };
        Has(Of(w => w with { Pv = w.Pv with { IsolatorV = 150 } }, Strings), "pv.isolator", Severity.Stop);
        HasNot(Of(w => w with { Pv = w.Pv with { IsolatorV = 600 } }, Strings), "pv.isolator");
        Has(Of(w => w with { Pv = w.Pv with { AcSwitch = true } }, Strings), "pv.ac-switch", Severity.Stop);
        Has(Of(w => w with { Pv = w.Pv with { StringV = 150 } }, Strings), "pv.string-volts", Severity.Stop);
    }

    [Fact]
    public void M29_no_disconnect_or_one_too_small()
    {
        Has(Of(w => w with { Entry = w.Entry with { Disconnect = false } }), "disc.none", Severity.Stop);
        Has(Of(w => w with { Entry = w.Entry with { DisconnectA = 5 } }), "disc.rating", Severity.Stop);
        HasNot(Of(w => w), "disc.none");
    }

    [Fact]
    public void M33_a_pumps_alarm_that_stops_nothing()
    {
        static JobDesign Pumped(JobDesign j) => j with { Layout = j.Layout with { Drain = j.Layout.Drain with { By = DrainBy.Pump, AlarmWired = false } } };
        var finding = Single(Of(w => w, Pumped), "pump.no-effect");
        finding.Level.ShouldBe(Severity.Stop);
        finding.Remedies.Single().Changes.Single().Path.ShouldBe("/layout/drain/alarmWired");
        HasNot(Of(w => w, j => Pumped(j) with { Layout = j.Layout with { Drain = j.Layout.Drain with { By = DrainBy.Pump } } }), "pump.no-effect");
        Has(Of(w => w with { Between = w.Between with { Pump = true, PumpFused = false } }), "pump.unfused", Severity.Stop);
        Has(Of(w => w with { Between = w.Between with { Pump = true, Fed = PumpArrangement.HeadFed } }), "pump.contact", Severity.Stop);
    }

    [Fact]
    public void M35_a_data_core_cut_into_by_the_pump() =>
        Has(Of(w => w with { Between = w.Between with { Pump = true, DataThroughAlarm = true } }), "pump.data-broken", Severity.Stop);

    [Fact]
    public void M36_cores_crossed_between_the_ends_and_zones_swapped()
    {
        WiringAssessment Swapped(int a, int b) => Of(w =>
        {
            var rows = w.Between.Terminals.ToList();
            (rows[a], rows[b]) = (rows[a] with { Outdoor = rows[b].Outdoor }, rows[b] with { Outdoor = rows[a].Outdoor });
            return w with { Between = w.Between with { Terminals = rows } };
        });
        Has(Swapped(1, 2), "core.crossed", Severity.Stop);
        Has(Swapped(0, 1), "core.crossed", Severity.Caution);
        Swapped(1, 2).Answers["between"].ToString().ShouldContain("crossed: move 2 cores");
        HasNot(Of(w => w), "core.crossed");
        Has(Of(w => w with
        {
            Between = w.Between with
            {
                Terminals = [.. w.Between.Terminals.Select((t,
            i) => i == 2 ? t with { Head = CoreColour.None } : t)]
            }
        }),
            "core.open", Severity.Caution);
        ZoneDesign[] zones = [new() { Head = "saloon", Cable = "A", Pipe = "B" }, new() { Head = "bunk", Cable = "B", Pipe = "A" }];
        Has(Of(w => w with { Between = w.Between with { Zones = zones } }), "zone.crossed", Severity.Stop);
        Has(Of(w => w with { Between = w.Between with { Splices = 1, BeyondCores = 3 } }), "splice.mismatch", Severity.Stop);
        Has(Of(w => w with { Between = w.Between with { FromDcM = 0.05 } }), "between.near-dc", Severity.Caution);
    }

    [Fact]
    public void M37_a_wire_too_large_for_the_terminals()
    {
        var large = Single(Branch(b => b with { Wire = WireSize.Awg6 }), "term.too-big");
        large.Level.ShouldBe(Severity.Stop);
        large.Remedies.ShouldNotBeEmpty();
        HasNot(Of(w => w), "term.too-big");
        Has(Of(w => w with { Entry = w.Entry with { Build = WireBuild.Fine } }), "term.ferrule", Severity.Caution);
        Has(Of(w => w with { Entry = w.Entry with { WhipM = 2.5 } }), "whip.long", Severity.Caution);
    }

    [Fact]
    public void M38_a_wire_too_small_or_too_long()
    {
        Has(Branch(b => b with { Wire = WireSize.Awg14 }, j => As(j, RigKind.Van, "MS-36-240", 240)), "wire.too-small", Severity.Stop);
        Has(Branch(b => b with { Wire = WireSize.Awg14, RouteM = 60 }), "drop.run", Severity.Caution);
        Has(Branch(b => b with { Wire = WireSize.Awg14, RouteM = 40 }, Rooftop), "drop.start", Severity.Stop);
        HasNot(Branch(b => b with { RouteM = 5 }, Rooftop), "drop.start");
        Branch(b => b with { RouteM = 60 }).Branch.ByDrop.ShouldBeTrue();
        Has(Branch(b => b with { RouteM = 500, DropShare = 0.005 }), "wire.none", Severity.Stop);
    }

    [Fact]
    public void M39_a_breaker_not_by_the_plate_or_shared()
    {
        Has(Branch(b => b with { DeviceA = 60 }, Rooftop), "ac.device-above-max", Severity.Stop);
        Has(Branch(b => b with { DeviceA = 6 }, Rooftop), "ac.device-below-running", Severity.Stop);
        Has(Branch(b => b with { Shared = true }), "ac.not-dedicated", Severity.Stop);
        Has(Branch(b => b with { Poles = 1 }, j => As(j, RigKind.Van, "MS-18-240", 240)), "ac.double-pole", Severity.Stop);
        Has(Branch(b => b with { FuseOnly = true }), "ac.fuse-only", Severity.Stop);
        Has(Branch(b => b with { Curve = BreakerCurve.B, DeviceA = 5.5 }, j => As(j, RigKind.Van, "RT-33-230", 230)), "iec.trips-on-start", Severity.Stop);
        Has(Branch(b => b with { Residual = ResidualKind.None }, j => As(j, RigKind.Van, "MS-35-230", 230)), "rcd.missing", Severity.Stop);
        Has(Branch(b => b with { Residual = ResidualKind.TypeAc }, j => As(j, RigKind.Van, "MS-35-230", 230)), "rcd.type", Severity.Stop);
        Has(Branch(b => b with { Earthed = false }), "earth.missing", Severity.Stop);
        Has(Of(w => w with { Entry = w.Entry with { FreePlaces = 0 } }), "board.full", Severity.Caution);
        Has(Of(w => w with { Entry = w.Entry with { BoardTakesIt = false } }), "breaker.not-for-board", Severity.Stop);
        Has(Of(w => w with { Entry = w.Entry with { BendsDeg = 450 } }), "conduit.bends", Severity.Stop);
    }

    [Fact]
    public void M40_a_fuse_that_does_not_break_a_lithium_bank()
    {
        WiringAssessment With(Func<BatteryWiringDesign, BatteryWiringDesign> change) => Of(w => w with { Battery = change(w.Battery) },
            j => j with { Survey = j.Survey with { Sources = j.Survey.Sources with { Battery = j.Survey.Sources.Battery with { FuseInterruptsA = null } } } });
        var strip = Single(With(b => b with { Fuse = FuseClass.Strip, BlockOhm = 0.004 }), "fuse.interrupt");
        strip.Level.ShouldBe(Severity.Stop);
        strip.Remedies.Single().Changes.Single().Path.ShouldBe("/wiring/battery/fuse");
        HasNot(With(b => b with { Fuse = FuseClass.ClassT, BlockOhm = 0.004 }), "fuse.interrupt");
        Has(With(b => b with { FuseM = 0.6 }), "fuse.far", Severity.Stop);
        Has(With(b => b with { FuseA = 900 }), "fuse.none-between", Severity.Stop);
        Has(With(b => b with { Lugs = 5 }), "lug.stack", Severity.Stop);
        Has(With(b => b with { PolarisedBreaker = true }), "dc.polarised", Severity.Stop);
        Has(Of(w => w, j => j with
        {
            Survey = j.Survey with { Sources = j.Survey.Sources with { Battery = j.Survey.Sources.Battery with { CableMm2 = 10 } } },
        }), "dc.cable-small", Severity.Stop);
    }

    [Fact]
    public void M41_two_ties_of_neutral_to_earth_or_none()
    {
        WiringAssessment With(Func<BondingDesign, BondingDesign> change, Func<JobDesign, JobDesign>? job = null) =>
            Of(w => w with { Bonding = change(w.Bonding) }, job);
        static JobDesign Generator(JobDesign j) => j with
        {
            Survey = j.Survey with { Sources = j.Survey.Sources with { Generator = j.Survey.Sources.Generator with { Fitted = true } } },
        };
        HasNot(With(b => b), "bond.many");
        With(b => b).Bonds.Count.ShouldBe(3, "shore; inverter; inverter with the cord in");
        var many = Single(With(b => b with { BoardBond = true }), "bond.many");
        many.Level.ShouldBe(Severity.Stop);
        many.Remedies.ShouldNotBeEmpty();
        Has(With(b => b with { Inverter = BondRule.Always, NeutralSwitched = false }), "bond.many", Severity.Stop);
        Has(With(b => b with { Inverter = BondRule.Never }), "bond.none", Severity.Stop);
        Has(With(b => b with { Generator = BondRule.Never }, Generator), "bond.none", Severity.Caution);
        Has(With(b => b with { Generator = BondRule.Never, NeutralSwitched = false }, Generator), "bond.elsewhere", Severity.Caution);
        Has(With(b => b with { LiveNeutralV = 120, NeutralEarthV = 119, LiveEarthV = 0.5 }), "shore.reading", Severity.Stop);
        Has(With(b => b, j => As(j, RigKind.Boat, "MS-35-230", 230)), "boat.galvanic", Severity.Caution);
    }

    [Fact]
    public void M42_a_white_core_that_carries_a_live()
    {
        Has(Branch(b => b with { LightLive = true }), "mark.white-live", Severity.Caution);
        HasNot(Branch(b => b with { LightLive = true, LightMarked = true }), "mark.white-live");
        Has(Branch(b => b with { GreenLive = true }), "mark.green", Severity.Stop);
        Has(Branch(b => b with { Poles = 2 }, j => As(j, RigKind.Van, "MS-18-240", 240)), "mark.n-is-live", Severity.Note);
    }

    [Fact]
    public void M62_a_fitting_that_does_not_go_into_the_entry()
    {
        Has(Of(w => w with { Entry = w.Entry with { FittingM = 0.030 } }), "entry.no-room", Severity.Stop);
        Has(Of(w => w with { Entry = w.Entry with { FittingInM = 0.05 } }), "entry.no-room", Severity.Stop);
        HasNot(Of(w => w), "entry.no-room");
    }

    [Fact]
    public void A_soft_starter_is_joined_through_its_own_paths()
    {
        WiringAssessment With(Func<SoftStarterDesign, SoftStarterDesign> change) => Of(w => w with { SoftStarter = change(w.SoftStarter) },
            j => Rooftop(j) with { Start = j.Start with { Remedy = StartRemedy.SoftStarter } });
        With(s => s).Starter!.Map.Count.ShouldBe(6);
        HasNot(With(s => s), "soft.crossed");
        Has(With(s => s with { CompressorRun = StarterLead.LoadStart, CompressorStart = StarterLead.LoadRun }), "soft.crossed", Severity.Stop);
        Has(With(s => s with { AbOhm = 0.9, AcOhm = 0.9, BcOhm = 0.92 }), "soft.three-phase", Severity.Stop);
        Has(With(s => s with { ShellOhm = 5e5 }), "soft.grounded", Severity.Stop);
        Has(With(s => s with { FanThrough = true }), "soft.fan-through", Severity.Stop);
        Has(With(s => s with { Drilled = true }), "soft.drill", Severity.Stop);
        With(s => s with { AbOhm = 1.5, AcOhm = 6.1, BcOhm = 4.6 }).Answers["starter"].ToString().ShouldBe("B is common, A run, C start.");
        Of(w => w).Starter.ShouldBeNull("a mini-split has none");
    }

    [Fact]
    public void The_rules_follow_the_rig_and_a_rig_well_wired_has_no_stop()
    {
        Of(w => w).Rules.ShouldBe(RuleBook.NorthAmerica);
        Of(w => w).RulesWords.ShouldContain("vehicle DC");
        Of(w => w, j => As(j, RigKind.Van, "MS-35-230", 230)).Rules.ShouldBe(RuleBook.Iec);
        Of(w => w, j => As(j, RigKind.Boat, "MS-12-120")).Rules.ShouldBe(RuleBook.MarineAmerican);
        Of(w => w, j => As(j, RigKind.Boat, "MS-35-230", 230)).Rules.ShouldBe(RuleBook.MarineIso);
        var stops = Of(w => w with { Battery = w.Battery with { Parallels = 2 } }).Findings.Where(f => f.Level == Severity.Stop);
        string.Join("\n", stops.Select(f => $"{f.Code}: {f.Words}")).ShouldBeEmpty();
    }

    [Fact]
    public void A_line_tells_what_it_lacks()
    {
        LineNode Node(string id, LineKindOf kind, double volts = 12) => new(id, kind, id, "", volts, 0, 0);
        LineNode[] good = [Node("battery", LineKindOf.Battery), Node("fuse", LineKindOf.Fuse), Node("inverter", LineKindOf.Inverter, 0),
            Node("breaker", LineKindOf.Breaker, 120), Node("disconnect", LineKindOf.Disconnect, 120), Node("unit", LineKindOf.Unit, 120)];
        LineEdge Edge(string a, string b) => new(a, b, "", 0, 0);
        LineEdge[] edges = [.. good.Zip(good.Skip(1), (a, b) => Edge(a.Id, b.Id))];
        new SingleLine(good, edges).Faults().ShouldBeEmpty();
        new SingleLine([.. good.Where(n => n.Id != "fuse")], [Edge("battery", "inverter"), .. edges.Skip(2)]).Faults()
            .ShouldContain((LineFault.Unprotected, "unit"));
        new SingleLine([.. good.Where(n => n.Id != "disconnect")], [.. edges.Take(3), Edge("breaker",
            "unit")]).Faults().ShouldContain((LineFault.NoDisconnect, "unit"));
        new SingleLine([Node("battery", LineKindOf.Battery, 24), good[1], Node("unit", LineKindOf.Unit, 12)], [Edge("battery", "fuse"), Edge("fuse",
            "unit")]).Faults()
            .ShouldContain((LineFault.Voltage, "fuse"));
        new SingleLine([.. good, Node("shore", LineKindOf.Shore, 120)], [.. edges, Edge("shore", "breaker")]).Faults().ShouldContain((LineFault.TwoSources,
            "breaker"));
    }

    [Fact]
    public void Tests_before_power_are_judged_in_their_order()
    {
        WiringAssessment With(PowerTestReadings readings) => Assessor.Assess(Van, [new PowerTestRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren",
            readings, null)])
            .Wiring!;
        var good = new PowerTestReadings
        {
            Screws = 14,
            BeforeV = 120,
            DeadV = 0.2,
            AfterV = 120,
            LinkV = 3,
            EarthOhm = 0.06,
            InsulationOhm = 2e8,
            RunV = 118,
            Locked = 4,
            Polarity = 3,
            Again = 14,
            SourceV = 121
        };
        With(good).Tests.Where(t => t.State == StepState.Failed).ShouldBeEmpty();
        With(good).Tests.ShouldAllBe(t => t.State == StepState.Passed || t.State == StepState.NotApplicable);
        With(good with { DeadV = 48 }).Findings.ShouldContain(f => f.Code == "test.failed");
        With(good with { DeadV = 48 }).Findings.ShouldContain(f => f.Code == "test.order");
        With(good with { AfterV = null }).Tests.Single(t => t.Step == PowerStep.ProvedDead).State.ShouldBe(StepState.Open);
        With(good with { InsulationOhm = 0.8e6 }).Findings.ShouldContain(f => f.Code == "test.failed");
        With(good with { EarthOhm = 1.4 }).Findings.ShouldContain(f => f.Code == "test.failed");
        With(good with { LinkV = 200 }).Findings.ShouldContain(f => f.Code == "test.failed");
        With(good with { SourceV = 90 }).Findings.ShouldContain(f => f.Code == "test.failed");
        With(good with { Locked = 2 }).Findings.ShouldContain(f => f.Code == "test.failed");
        foreach (var missing in new[] { good with { Screws = null }, good with { Locked = null }, good with { Polarity = null }, good with { Again = null },
            good with { SourceV = null }, good with { EarthOhm = null }, good with { RunV = null } })
            With(missing).Tests.Count(t => t.State == StepState.Open).ShouldBe(1, missing.ToString());
    }

    [Fact]
    public void A_reading_that_passes_and_is_still_wrong_is_told()
    {
        WiringAssessment With(PowerTestReadings readings) =>
            Assessor.Assess(Van, [new PowerTestRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", readings, null)]).Wiring!;
        Has(With(new PowerTestReadings { EarthOhm = 0.6 }), "test.doubtful", Severity.Caution);
        Has(With(new PowerTestReadings { InsulationOhm = 1.5e6 }), "test.doubtful", Severity.Caution);
        HasNot(With(new PowerTestReadings { EarthOhm = 0.06, InsulationOhm = 2e8 }), "test.doubtful");
    }

    [Fact]
    public void A_pump_at_a_unit_in_one_box_hangs_on_the_unit() =>
        Of(w => w with { Between = w.Between with { Pump = true } }, Rooftop).Line.Edges
            .ShouldContain(e => e.From == "unit" && e.To == "pump");

    [Fact]
    public void A_shore_of_another_voltage_than_the_unit_is_stopped()
    {
        static JobDesign Shore(JobDesign j, double volts, bool plugged) => j with
        {
            Survey = j.Survey with
            {
                Sources = j.Survey.Sources with { Shore = j.Survey.Sources.Shore with { Volts = volts, PluggedIn = plugged } },
            },
        };
        Has(Of(w => w, j => Shore(j, 230, true)), "sld.voltage", Severity.Stop);
        HasNot(Of(w => w, j => Shore(j, 120, true)), "sld.voltage");
        HasNot(Of(w => w, j => Shore(j, 230, false)), "sld.voltage");
    }

    [Fact]
    public void A_unit_on_the_bank_has_a_fuse_that_breaks_the_banks_short()
    {
        static JobDesign Direct(JobDesign j) => j with
        {
            Unit = j.Unit with { Chosen = "DR-20-12" },
            Survey = j.Survey with { Sources = j.Survey.Sources with { Battery = j.Survey.Sources.Battery with { FuseInterruptsA = null } } },
        };
        var strip = Of(w => w with { Battery = w.Battery with { Fuse = FuseClass.Strip, BlockOhm = 0.004 } }, Direct);
        strip.Findings.Where(f => f.Code == "fuse.interrupt").Select(f => f.Words.ToString()).ShouldContain(w => w.Contains("unit"));
        HasNot(Of(w => w with { Battery = w.Battery with { Fuse = FuseClass.ClassT, BlockOhm = 0.004 } }, Direct), "fuse.interrupt");
        var large = Of(w => w with { Branch = w.Branch with { DeviceA = 400 } }, Direct);
        large.Findings.Where(f => f.Code == "fuse.none-between").Select(f => f.Words.ToString()).ShouldContain(w => w.Contains("400 A"));
    }

    [Fact]
    public void Papers_count_what_is_bought_and_cut()
    {
        WiringPapers.BuyM(12, false).ShouldBe(14);
        WiringPapers.BuyM(12, true).ShouldBe(15.24, 1e-9);
        WiringPapers.Straps(12, WireWay.Conduit, ConduitKind.Emt).ShouldBe(6);
        WiringPapers.Straps(12, WireWay.Sheathed, ConduitKind.Emt).ShouldBe(11);
        var r = Of(w => w);
        r.Circuits.Select(c => c.Name).ShouldContain("inverter");
        r.BreakerLabels[0][1].ShouldContain("AWG Cu");
        r.TakeOff.ShouldContain(l => l.What.Contains("lugs"));
        r.Between.Labels.ShouldBe(["A-1 LIVE", "A-2 NEUTRAL", "A-3 DATA", "A-E EARTH"]);
    }
}
