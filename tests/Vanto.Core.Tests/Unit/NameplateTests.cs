using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Unit;

/// <summary>
/// Running current and circuit. NEC 440.33 and 440.22(A) for single-speed units (published); modulating units common practice, no published source.
/// </summary>
public class NameplateTests
{
    [Theory]
    [InlineData("RT-13-115", 13.716, null, 16.33, 20.0)]
    [InlineData("RT-24-230", 4.2134, null, 4.8069, 15.0)]
    [InlineData("MS-12-120", 8.0756, 9.5269, 11.909, 15.0)]
    [InlineData("MS-24-240", 9.6649, 11.668, 14.584, 15.0)]
    [InlineData("MS-36-240", 13.96, 16.267, 20.333, 25.0)]
    [InlineData("DR-30-48", 17.292, 21.165, 26.456, null)]
    public void The_circuit_of_a_unit(string id, double runA, double? mostA, double mcaA, double? mocpA)
    {
        var need = Nameplate.Of(UnitCatalogue.Find(id)!);
        need.RunA.ShouldBe(runA, 2e-4 * runA);
        if (mostA is { } most)
            need.MostA.ShouldBe(most, 2e-4 * most);
        need.McaA.ShouldBe(mcaA, 2e-4 * mcaA);
        need.MocpA.ShouldBe(mocpA);
        need.Estimated.ShouldBeTrue();
    }

    [Fact]
    public void The_plate_wins_where_it_says()
    {
        var need = Nameplate.Of(UnitCatalogue.Find("RT-13-115")! with { McaA = 17.5, MocpA = 25 });
        need.McaA.ShouldBe(17.5);
        need.MocpA.ShouldBe(25);
        need.Estimated.ShouldBeFalse();
    }

    [Fact]
    public void The_breaker_of_a_single_speed_unit_is_never_under_15_A_nor_above_its_rule()
    {
        foreach (var unit in UnitCatalogue.All.Where(u => u.SingleSpeed))
        {
            var need = Nameplate.Of(unit);
            need.MocpA!.Value.ShouldBeGreaterThanOrEqualTo(15);
            if (need.MocpA > 15)
                need.MocpA.Value.ShouldBeLessThanOrEqualTo(1.75 * unit.RlaA + unit.FanPowerW / (0.85 * unit.SupplyVoltageV));
        }
    }
}
