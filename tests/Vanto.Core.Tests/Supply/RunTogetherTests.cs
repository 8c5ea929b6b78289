using Vanto.Core.Energy;
using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

/// <summary>Common practice, no published source; tables computed outside this project.</summary>
public class RunTogetherTests
{
    private static readonly OwnerLoad[] Loads =
    [
        new("ac", 900, 2600), new("fridge", 120, 700), new("kettle", 1500, 1500), new("microwave", 1300, 1300), new("pump", 80, 240), new("lights", 60, 60),
    ];

    [Theory]
    [InlineData(3000, 6000, 1, 48, "kettle microwave")]
    [InlineData(3000, 4000, 1, 35, "ac kettle|kettle microwave|ac fridge microwave|ac microwave pump lights")]
    [InlineData(3000, 4000, 2, 34, "ac kettle|ac microwave pump|kettle microwave|ac fridge microwave")]
    [InlineData(2000, 3000, 1, 32, "ac kettle|ac microwave|kettle microwave")]
    public void What_may_run_together(double continuous, double surge, int coincident, int allowed, string forbidden)
    {
        var result = RunTogether.Of(Loads, continuous, surge, 0.9, coincident);
        result.AllowedCount.ShouldBe(allowed);
        result.Forbidden.Select(Named).Order().ShouldBe(forbidden.Split('|').Order());
    }

    private static string Named(IReadOnlyList<int> set) => string.Join(' ', set.Select(i => Loads[i].Name));

    [Fact]
    public void Maximal_sets()
    {
        var sets = RunTogether.Of(Loads, 3000, 6000).Maximal.Where(s => s.Contains(0)).Select(Named).Order();
        sets.ShouldBe(["ac fridge kettle pump lights", "ac fridge microwave pump lights"]);
    }

    [Theory]
    [InlineData(5120, 1, 0.95, 0.15, 0.90, 20, 320, 90, 8.61308, 8.5)]
    [InlineData(5120, 0.9, 0.95, 0.15, 0.90, 20, 320, 90, 7.75178, 7.5)]
    [InlineData(10240, 1, 1, 0.1, 0.92, 25, 180, 60, 32.2385, 32)]
    [InlineData(2400, 1, 0.8, 0.5, 0.85, 15, 450, 40, 1.21730, 1)]
    public void Hours(double e, double h, double s0, double s1, double eta, double p0, double unit, double other, double hours, double printed)
    {
        var result = HoursOnBattery.Of(e, h, s0, s1, eta, p0, unit, other);
        result.ShouldBe(hours, 1e-4);
        HoursOnBattery.Printed(result).ShouldBe(printed);
    }
}
