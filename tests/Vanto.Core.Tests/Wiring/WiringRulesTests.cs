using Vanto.Core.Job;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Wiring;

/// <summary>What only some rules, some rigs or a reading asks for.</summary>
public class WiringRulesTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" } };

    private static readonly JobDesign House = Van with
    {
        Survey = RigPresets.New(RigKind.Cabin, "House").Survey with { Sources = Van.Survey.Sources },
        Wiring = Van.Wiring with { Rules = RuleBook.NorthAmerica },
    };

    private static List<string> Codes(JobDesign rig, Func<WiringDesign, WiringDesign>? change = null) =>
        [.. Assessor.Assess(rig with { Wiring = (change ?? (w => w))(rig.Wiring) }).Wiring!.Findings.Select(f => f.Code)];

    [Fact]
    public void A_building_is_asked_for_what_a_vehicle_is_not()
    {
        var house = Codes(House, w => w with { Entry = w.Entry with { Socket = false } });
        foreach (var code in new[] { "rcd.afci", "ac.service-receptacle", "pv.rapid-shutdown" })
        {
            house.ShouldContain(code);
            Codes(Van, w => w with { Entry = w.Entry with { Socket = false } }).ShouldNotContain(code);
            Codes(House, w => w with { Rules = RuleBook.Iec, Entry = w.Entry with { Socket = false } }).ShouldNotContain(code);
        }
        var done = Codes(House, w => w with { Pv = w.Pv with { RapidShutdown = true } });
        done.ShouldNotContain("pv.rapid-shutdown");
        done.ShouldNotContain("ac.service-receptacle");
    }

    /// <summary>Limit of 600 V: NEC 690.7, recalled.</summary>
    [Theory]
    [InlineData(1, false)]
    [InlineData(8, false)]
    [InlineData(20, true)]
    public void A_string_on_a_dwelling_ends_at_its_limit(int series, bool tooMuch)
    {
        var rig = House with
        {
            Survey = House.Survey with
            {
                Sources = House.Survey.Sources with
                {
                    Modules = House.Survey.Sources.Modules with { Count = series, Series = series, VocV = 37 },
                },
            },
        };
        Codes(rig).Contains("pv.dwelling-volts").ShouldBe(tooMuch);
    }

    /// <summary>A tenth either way is the maker's torque; common practice.</summary>
    [Theory]
    [InlineData(11.0, 11.0, false)]
    [InlineData(11.0, 12.05, false)]
    [InlineData(11.0, 12.3, true)]
    [InlineData(11.0, 9.5, true)]
    public void A_torque_is_held_against_its_makers(double asked, double wrench, bool off) =>
        Codes(Van, w => w with { Battery = w.Battery with { TorqueNm = asked, TightenedNm = wrench } }).Contains("torque.off").ShouldBe(off);

    /// <summary>Depths of NEC table 312.6(A), recalled: 2/0 wants 89 mm.</summary>
    [Theory]
    [InlineData(67.43, 0.080, true)]
    [InlineData(67.43, 0.090, false)]
    [InlineData(13.3, 0.037, true)]
    [InlineData(13.3, 0.040, false)]
    [InlineData(107.2, 0.101, true)]
    public void A_lug_wants_room_to_bend(double mm2, double free, bool tight)
    {
        var rig = Van with
        {
            Survey = Van.Survey with
            {
                Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { CableMm2 = mm2 } },
            },
        };
        Codes(rig, w => w with { Battery = w.Battery with { FreeM = free } }).Contains("term.bending").ShouldBe(tight);
    }

    [Fact]
    public void A_metric_breaker_is_mended_by_one_that_is_made()
    {
        var boat = Van with
        {
            Unit = Van.Unit with { Chosen = "MS-35-230" },
            Wiring = Van.Wiring with { Rules = RuleBook.Iec, Branch = Van.Wiring.Branch with { DeviceA = 6 } },
        };
        var found = Assessor.Assess(boat).Wiring!.Findings.FirstOrDefault(f => f.Code == "ac.device-over-80");
        found.ShouldNotBeNull();
        foreach (var way in found.Remedies)
            Protection.Iec.ShouldContain(way.Changes.Single(c => c.Path == "/wiring/branch/deviceA").Value!.GetValue<double>());
    }
}
