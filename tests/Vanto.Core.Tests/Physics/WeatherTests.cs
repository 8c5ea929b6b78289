using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Physics;

/// <summary>Computed by an independent reference program unless a source is named.</summary>
public class WeatherTests
{
    /// <summary>Both seeds are widely published test values of the generator.</summary>
    [Fact]
    public void Random_numbers_are_the_published_ones()
    {
        new SplitMix64(0).Next().ShouldBe(16294208416658607535UL);
        var other = new SplitMix64(1234567);
        other.Next().ShouldBe(6457827717110365317UL);
        other.Next().ShouldBe(3203168211198807973UL);
        var normals = new SplitMix64(42);
        normals.Normal().ShouldBe(0.88224891, 1e-8);
        normals.Normal().ShouldBe(-0.45084988, 1e-8);
        normals.Normal().ShouldBe(0.18835263, 1e-8);
    }

    [Theory]
    [InlineData(0.30, -2.12520, 0.691390, 0.268952)]
    [InlineData(0.50, 2.27200, 0.764618, 0.538750)]
    [InlineData(0.62, 5.19113, 0.796839, 0.667263)]
    [InlineData(0.74, 11.2355, 0.828880, 0.767202)]
    public void Clearness_of_days(double mean, double gamma, double most, double median)
    {
        var (g, m, value) = WeatherGenerator.Bendt(mean, 0.5);
        g.ShouldBe(gamma, Math.Abs(gamma) * 1e-5);
        m.ShouldBe(most, 1e-6);
        value.ShouldBe(median, 1e-6);
    }

    /// <summary>Duffie and Beckman's worked example: 43° N, 15 April, 33.8 MJ/m², 98.9°; r_t at Melbourne 0.076 (from memory).</summary>
    [Fact]
    public void Sun_outside_the_air()
    {
        var (sum, sunset) = WeatherGenerator.Extraterrestrial(43, 105);
        (sum * 0.0036).ShouldBe(33.8076, 0.001);
        (sunset * 180 / Math.PI).ShouldBe(98.8951, 1e-4);
        WeatherGenerator.Extraterrestrial(34.2, 202).WhM2.ShouldBe(11202.4, 0.5);
        WeatherGenerator.Extraterrestrial(55, 355).WhM2.ShouldBe(1283.10, 0.1);
        WeatherGenerator.HourShare(-52.5 * Math.PI / 180, WeatherGenerator.Extraterrestrial(-38, 17).SunsetRad).ShouldBe(0.0758535, 1e-6);
    }

    [Theory]
    [InlineData(6, 12, 0.5)]
    [InlineData(10, 13.5, 0.620370)]
    [InlineData(2, 8.5, 0.367647)]
    public void Clearness_from_sun_hours(double sun, double day, double expected) => WeatherGenerator.ClearnessFromSunHours(sun, day).ShouldBe(expected, 1e-6);

    [Fact]
    public void Months_become_days_that_keep_their_means()
    {
        double[] max = [17, 19, 23, 27, 33, 38, 40, 39, 35, 29, 22, 17];
        var days = WeatherGenerator.Daily(max);
        days[0].ShouldBe(16.41181, 1e-5);
        days[15].ShouldBe(16.97134, 1e-5);
        days[31].ShouldBe(17.73687, 1e-5);
        days[180].ShouldBe(39.47168, 1e-5);
        days[196].ShouldBe(40.12809, 1e-5);
        days[364].ShouldBe(16.37465, 1e-5);
        days.Take(31).Average().ShouldBe(17, 1e-9);
        days.Skip(181).Take(31).Average().ShouldBe(40, 1e-9);
    }

    [Fact]
    public void Spread_by_month()
    {
        var spread = WeatherGenerator.Spread([.. SheetClimates.Van.Select(m => (m.MaxC + m.MinC) / 2)]);
        spread[0].ShouldBe(4.175, 1e-9);
        spread[6].ShouldBe(1.475, 1e-9);
    }

    [Fact]
    public void Days_and_hours_of_a_seed()
    {
        var generator = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van, 4);
        var days = generator.Days(42, 365);
        Near(days[1], 0.52244, 16.00821, 4.57275);
        days[1].VapourPa.ShouldBe(514.702, 0.01);
        days[1].WindMs.ShouldBe(2.90017, 1e-4);
        Near(days[2], 0.68398, 15.15416, 2.75180);
        Near(days[3], 0.61361, 19.19525, 7.20003);
        Near(days[201], 0.75650, 40.14470, 27.09683);
        var year = generator.Year(42);
        year.AirC[4812].ShouldBe(38.97039, 1e-4);
        year.GlobalWm2[4812].ShouldBe(1058.71, 0.02);
        year.HumidityRatio[4812].ShouldBe(0.00975, 1e-5);
        year.AirC[4815].ShouldBe(39.77519, 1e-4);
        year.GlobalWm2[4815].ShouldBe(779.642, 0.02);
        year.GlobalKWhM2.ShouldBe(2111.84, 0.05);
        year.AirC.Average().ShouldBe(21.2958, 1e-3);
        year.AirC.Max().ShouldBe(43.0843, 1e-3);
        year.AirC.Min().ShouldBe(-4.93054, 1e-3);

        static void Near(WeatherGenerator.Day day, double clearness, double max, double min)
        {
            day.Clearness.ShouldBe(clearness, 2e-5);
            day.MaxC.ShouldBe(max, 1e-4);
            day.MinC.ShouldBe(min, 1e-4);
        }
    }

    [Fact]
    public void Monthly_means_come_back_over_many_years()
    {
        var generator = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van);
        var july = Enumerable.Range(0, 40).SelectMany(seed => generator.Days((ulong)seed, 365).Skip(182).Take(31)).ToList();
        july.Average(d => d.MaxC).ShouldBe(40, 0.4);
        july.Average(d => d.MinC).ShouldBe(27, 0.4);
        july.Average(d => d.Clearness).ShouldBe(0.70, 0.025);
    }

    [Fact]
    public void A_climate_that_cannot_be_is_refused()
    {
        Should.Throw<InputException>(() => new WeatherGenerator(SheetClimates.VanPlace, [new MonthClimate()]));
        Should.Throw<InputException>(() => new WeatherGenerator(SheetClimates.VanPlace,
            [.. SheetClimates.Van.Take(11), new MonthClimate { MaxC = 5, MinC = 9 }])).Errors[0].Field.ShouldBe("months[11].maxC");
    }

    [Theory]
    [InlineData(500, 50, 172, 415.625, 232.841)]
    [InlineData(900, 20, 202, 756.221, 189.384)]
    [InlineData(150, 70, 355, 25.8144, 141.171)]
    [InlineData(100, 40, 80, 1.11314, 99.1473)]
    [InlineData(1100, 15, 172, 950.901, 181.500)]
    public void Split_of_measured_sun(double global, double zenith, int day, double direct, double diffuse)
    {
        var sky = DiffuseSplit.Split(global, Math.Cos(zenith * Math.PI / 180), Sun.Extraterrestrial(day));
        sky.Direct.ShouldBe(direct, 0.005);
        sky.Diffuse.ShouldBe(diffuse, 0.005);
    }

    [Theory]
    [InlineData(0.25, 0.993269)]
    [InlineData(0.5, 0.928951)]
    [InlineData(0.75, 0.717987)]
    [InlineData(1, 0.25)]
    public void Cloud(double cover, double left)
    {
        DiffuseSplit.CloudFactor(cover).ShouldBe(left, 1e-6);
        DiffuseSplit.CloudOf(left).ShouldBe(cover, 1e-5);
    }

    [Fact]
    public void Steps_keep_each_hours_sun()
    {
        var year = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van).Year(7, 20, 190);
        var steps = year.Steps(300);
        for (var hour = 0; hour < year.Hours; hour++)
            steps.Skip(hour * 12).Take(12).Average(m => m.Sky.Global)
                .ShouldBe(year.GlobalWm2[hour] < 1e-9 ? 0 : year.GlobalWm2[hour], Math.Max(0.5, year.GlobalWm2[hour] * 1e-9));
    }
}
