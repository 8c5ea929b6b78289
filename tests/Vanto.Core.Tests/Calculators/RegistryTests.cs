using Vanto.Core.Calculators;

namespace Vanto.Core.Tests.Calculators;

public class RegistryTests
{
    [Theory]
    [InlineData("unit-factors psychrometrics")]
    [InlineData("sun-position clear-sky diffuse-split transposition shading")]
    [InlineData("design-day worst-design-month epw-reader weather-generator")]
    [InlineData("layer-u bridging surface-film sol-air glazing sky-temperature")]
    [InlineData("door-exchange carbon-dioxide")]
    [InlineData("design-cooling-load load-sensitivity heading-sweep heat-soak pull-down hold-time peak-indoor-with-capacity")]
    [InlineData("space-model design-heating-load balance-point year-run")]
    [InlineData("capacity-derate bypass-coil equilibrium-humidity required-capacity part-load-hours area-rule capacity-advice")]
    public void Every_calculation_of_climate_and_load_is_on_the_bench(string names) =>
        names.Split(' ').ShouldBeSubsetOf(CalculatorRegistry.All.Keys);

    [Fact]
    public void None_is_without_a_source_a_purpose_or_a_kebab_name() =>
        CalculatorRegistry.All.Values.ShouldAllBe(
            c => c.Citations.Count > 0 && c.Purpose.Length > 10 && c.Name.All(x => char.IsAsciiLetterLower(x) || char.IsAsciiDigit(x) || x == '-'));

    [Fact]
    public void The_bench_agrees_with_the_station_on_the_same_box()
    {
        var input = new Vanto.Core.Load.BoxInput();
        var peak = Vanto.Core.Load.LoadCalculators.CoolingLoad(input).Figures.Single(f => f.Symbol == "Q").Value!.Value;
        var sweep = Vanto.Core.Load.LoadCalculators.Headings(input).Figures.Single(f => f.Symbol == "180°").Value!.Value;
        sweep.ShouldBe(peak, 0.5);
        var soaked = Vanto.Core.Load.LoadCalculators.Soak(input).Figures.Single(f => f.Symbol == "T").Value!.Value;
        var limited =
            Vanto.Core.Load.LoadCalculators.PeakIndoor(new Vanto.Core.Load.PeakIndoorInput { SensibleW = 0 }).Figures.Single(f => f.Symbol == "T").Value!.Value;
        limited.ShouldBeGreaterThan(soaked, "with people and devices inside and nothing cooling it is hotter still");
        var enough =
            Vanto.Core.Load.LoadCalculators.PeakIndoor(new Vanto.Core.Load.PeakIndoorInput { SensibleW = 20000 }).Figures.Single(
                f => f.Symbol == "T").Value!.Value;
        enough.ShouldBe(25, 1e-6);
    }
}
