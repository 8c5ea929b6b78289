using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Supply;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Energy;

/// <summary>Strings. Cold factors: NEC table 690.7(A), published; check values: arithmetic on invented modules, no published source.</summary>
public class PvStringsTests
{
    private static readonly PvModule Large = new(410, 37.3, 31.3, 13.9, 13.1);
    private static readonly PvModule Small = new(200, 24.3, 20.4, 10.3, 9.8);
    private static readonly PvInput Controller = new(150, 63, 145, 60, 50);
    private static readonly PvInput Hybrid = new(500, 120, 450, 22, 18);
    private static readonly PvInput Assisted = new(400, 90, 380, 15, 12);

    private static (PvModule, PvInput) Of(string module, string input) =>
        (module == "410" ? Large : Small, input switch { "assisted" => Assisted, "hybrid" => Hybrid, _ => Controller });

    [Theory]
    [InlineData("410", "assisted", 7, 1, -10, 70, 285.774, 297.654, 185.578, 13.9, 21.719, "pv.clipping")]
    [InlineData("410", "controller", 3, 2, -10, 70, 122.475, 127.566, 79.5333, 27.8, 43.438, "")]
    [InlineData("410", "controller", 4, 1, -10, 70, 163.299, 170.088, 106.044, 13.9, 21.719, "pv.voltage")]
    [InlineData("200", "controller", 3, 1, 0, 70, 77.8208, 80.19, 51.8364, 10.3, 16.094, "pv.vmp-hot")]
    [InlineData("410", "controller", 2, 3, 5, 75, 78.6284, 80.568, 51.958, 41.7, 65.156, "pv.vmp-hot pv.string-fuse")]
    [InlineData("410", "hybrid", 3, 1, 5, 75, 117.943, 120.852, 77.937, 13.9, 21.719, "pv.vmp-hot")]
    public void Strings_stand_where_the_coefficients_put_them(string module, string input, int series, int parallel, double lowest, double hot, double cold,
        double table, double hotV, double shortA, double conductor, string codes)
    {
        var (m, i) = Of(module, input);
        var r = PvStrings.Check(m, i, series, parallel, lowest, hot);
        r.VocColdV.ShouldBe(cold, cold * 1e-5);
        r.VocTableV.ShouldBe(table, table * 1e-5);
        r.VmpHotV.ShouldBe(hotV, hotV * 1e-5);
        r.IscA.ShouldBe(shortA, 1e-9);
        r.ConductorA.ShouldBe(conductor, 1e-3);
        r.Findings.Select(f => f.Code).ShouldBe(codes.Split(' ', StringSplitOptions.RemoveEmptyEntries));
    }

    [Fact]
    public void A_rig_is_shown_every_allowed_design_not_the_first_few()
    {
        var van = NewcomersVan.With(s => s with
        {
            Modules = s.Modules with { Count = 24, Series = 4, StringsFused = true },
            Controller = new ControllerDesign { Known = true, MaxIscA = 500, MaxCurrentA = 500 }
        });
        var shown = Assessor.Assess(van).Energy!.Array;
        var module = new PvModule(200, 24.3, 20.4, 10.3, 9.8);
        var all = PvStrings.Enumerate(module, new PvInput(150, 19.4, 145, 500, 500), 24, shown.LowestC, shown.HotCellC, true);
        shown.Allowed.Select(a => (a.Series, a.Parallel)).ShouldBe(all.Select(a => (a.Series, a.Parallel)));
        all.Count.ShouldBeGreaterThan(20);
    }

    /// <summary>Cold factors by the code's table and by two coefficients: table published, coefficients typical.</summary>
    [Theory]
    [InlineData(20, 1.02, 1.0135, 1.0175)]
    [InlineData(10, 1.06, 1.0405, 1.0525)]
    [InlineData(0, 1.1, 1.0675, 1.0875)]
    [InlineData(-10, 1.14, 1.0945, 1.1225)]
    [InlineData(-20, 1.18, 1.1215, 1.1575)]
    [InlineData(-30, 1.21, 1.1485, 1.1925)]
    [InlineData(-40, 1.25, 1.1755, 1.2275)]
    public void Coefficients_give_less_than_the_table(double lowest, double table, double gentle, double steep)
    {
        PvStrings.ColdFactor(lowest).ShouldBe(table);
        foreach (var (perK, factor) in new[] { (-0.0027, gentle), (-0.0035, steep) })
        {
            var r = PvStrings.Check(Large with { VocPerK = perK }, Hybrid, 1, 1, lowest, 70);
            (r.VocColdV / Large.VocV).ShouldBe(factor, 1e-9);
            (r.VocTableV / Large.VocV).ShouldBe(table, 1e-9);
            factor.ShouldBeLessThan(table);
        }
    }

    [Theory]
    [InlineData("410", "controller", 6, -10, "3S2P 3S1P")]
    [InlineData("410", "assisted", 7, -10, "7S1P 6S1P 5S1P 4S1P")]
    [InlineData("200", "controller", 6, 0, "5S1P 4S1P")]
    public void Every_allowed_design_comes_the_fullest_first(string module, string input, int modules, double lowest, string wanted)
    {
        var (m, i) = Of(module, input);
        PvStrings.Enumerate(m, i, modules, lowest, 70).Select(r => $"{r.Series}S{r.Parallel}P").ShouldBe(wanted.Split(' '));
    }

    [Theory]
    [InlineData(25, 1.00)]
    [InlineData(24.9, 1.02)]
    [InlineData(20, 1.02)]
    [InlineData(10, 1.06)]
    [InlineData(0, 1.10)]
    [InlineData(-5.5, 1.14)]
    [InlineData(-10, 1.14)]
    [InlineData(-20, 1.18)]
    [InlineData(-30, 1.21)]
    [InlineData(-40, 1.25)]
    public void The_table_of_the_code_is_read_by_bands(double lowest, double factor) => PvStrings.ColdFactor(lowest).ShouldBe(factor);

    [Fact]
    public void Below_the_table_there_is_no_factor() => Should.Throw<InputException>(() => PvStrings.ColdFactor(-41)).Message.ShouldContain("-41");

    [Fact]
    public void M08_a_string_too_high_in_the_cold_or_too_low_in_the_heat_is_stopped()
    {
        PvStrings.Check(Large, Controller, 4, 1, -10, 70).Findings.ShouldContain(f => f.Code == "pv.voltage" && f.Level == Severity.Stop);
        PvStrings.Check(Large, Controller, 4, 1, 25, 70).Findings.ShouldNotContain(f => f.Code == "pv.voltage");
        PvStrings.Check(Large, Controller, 2, 1, -10, 70).Findings.ShouldContain(f => f.Code == "pv.vmp-hot" && f.Level == Severity.Stop);
    }

    [Fact]
    public void The_code_table_and_nearness_to_the_limit_are_told()
    {
        PvStrings.Check(Large, Controller with { MaxV = 125 }, 3, 2, -10, 70).Findings.ShouldContain(f => f.Code == "pv.voltage-table");
        PvStrings.Check(Large, Controller with { MaxV = 128 }, 3, 2, -10, 70).Findings.ShouldContain(f => f.Code == "pv.voltage-near");
        PvStrings.Check(Large, Controller with { MaxIscA = 20 }, 3, 2, -10, 70).Findings.ShouldContain(f => f.Code == "pv.isc");
        PvStrings.Check(Large, Controller with { TrackMaxV = 100 }, 3, 2, -10, 70).Findings.ShouldContain(f => f.Code == "pv.above-window");
        PvStrings.Check(Large, Controller, 2, 3, 5, 75, stringsFused: true).Findings.ShouldNotContain(f => f.Code == "pv.string-fuse");
    }
}
