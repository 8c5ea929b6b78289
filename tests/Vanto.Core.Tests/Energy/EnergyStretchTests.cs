using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>A stretch of weather run in time. Properties; no published source.</summary>
public class EnergyStretchTests
{
    private static readonly JobDesign Van = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-09-120" } };
    private static readonly WeatherYear Weather = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van, 3.5).Year(5);

    private static EnergyInputs Inputs(JobDesign d, StretchDesign stretch) =>
        new(d.Survey, d.Load, d.Unit, UnitCatalogue.Find(d.Unit.Chosen)!, d.Energy with { Stretch = stretch }, d.Start.ReserveSoc);

    private static EnergyStretchResult Run(JobDesign d, StretchDesign stretch) => EnergyStretch.Of(Inputs(d, stretch), Weather, "made");

    [Theory]
    [InlineData(1, 5)]
    [InlineData(7, 15)]
    [InlineData(31, 3)]
    public void It_covers_the_days_asked_and_its_energy_closes(int days, int minutes)
    {
        var result = Run(Van, new StretchDesign { Month = 7, Day = 14, Days = days, StepMinutes = minutes });
        result.WindowHours.ShouldBe(days * ((Van.Energy.To - Van.Energy.From + 24) % 24), 1e-9);
        result.Series.Hour[0].ShouldBeInRange(Van.Energy.StartHour, Van.Energy.StartHour + 0.25);
        (result.Series.Hour[^1] - Van.Energy.StartHour).ShouldBeInRange(24 * days - 2, 24 * days);
        result.Series.Hour.Length.ShouldBeLessThanOrEqualTo(1200);
        Math.Abs(result.Ledger.ResidualWh).ShouldBeLessThan(1e-6 * result.Ledger.ThroughputWh);
        result.HeldHours.ShouldBeInRange(0, result.WindowHours);
    }

    [Fact]
    public void A_shorter_step_changes_little_for_a_unit_that_modulates()
    {
        // A bank that never runs empty: what is dropped when it does depends on the step it happens in.
        var ample = Van with { Survey = Van.Survey with { Sources = Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Blocks = 40 } } } };
        var coarse = Run(ample, new StretchDesign { Days = 3, StepMinutes = 15 });
        var fine = Run(ample, new StretchDesign { Days = 3, StepMinutes = 1 });
        fine.HeldHours.ShouldBe(fine.WindowHours, 1e-6);
        coarse.AirconWh.ShouldBe(fine.AirconWh, 0.01 * fine.AirconWh);
        coarse.SunWh.ShouldBe(fine.SunWh, 0.01 * fine.SunWh);
    }

    [Fact]
    public void The_weather_it_runs_through_is_that_of_the_days_named()
    {
        var july = Run(Van, new StretchDesign { Month = 7, Day = 14, Days = 2, StepMinutes = 15 });
        var first = new DateOnly(WeatherCalendar.Year, 7, 14).DayOfYear;
        // 18:00 to 24:00 of the first day: the outdoor air of the series against the hours of the year.
        for (var k = 0; k < 20; k += 4)
        {
            var hour = (int)july.Series.Hour[k];
            var (low, high) = (Weather.AirC[(first - 1) * 24 + hour - 1], Weather.AirC[(first - 1) * 24 + hour + 1]);
            july.Series.OutdoorC[k].ShouldBeInRange(Math.Min(Math.Min(low, high), Weather.AirC[(first - 1) * 24 + hour]) - 0.01,
                Math.Max(Math.Max(low, high), Weather.AirC[(first - 1) * 24 + hour]) + 0.01);
        }
    }

    [Fact]
    public void New_year_goes_on_with_the_first_of_January()
    {
        var across = Weather.Days(364, 4);
        across.Hours.ShouldBe(96);
        across.FirstDay.ShouldBe(364);
        across.AirC[47].ShouldBe(Weather.AirC[365 * 24 - 1]);
        across.AirC[48].ShouldBe(Weather.AirC[0]);
        Run(Van, new StretchDesign { Month = 12, Day = 30, Days = 5, StepMinutes = 15 }).WindowHours.ShouldBeGreaterThan(0);
        Should.Throw<InputException>(() => Weather.Days(10, 20).Days(25, 7)).Errors[0].Field.ShouldBe("dayOfYear");
    }

    [Fact]
    public void Remarkable_weeks_are_the_extremes_of_all_weeks()
    {
        var weeks = EnergyStretch.Remarkable(Weather);
        weeks.Select(w => w.Words).ShouldBe(["hottest week", "cloudiest warm week", "coldest week"]);
        var means = Enumerable.Range(0, 365 - 6).Select(d => Enumerable.Range(d * 24, 168).Average(h => Weather.AirC[h])).ToList();
        weeks[0].MeanC.ShouldBe(means.Max(), 1e-9);
        weeks[2].MeanC.ShouldBe(means.Min(), 1e-9);
        weeks[1].MeanC.ShouldBeGreaterThanOrEqualTo(means.Order().ElementAt(3 * means.Count / 4 - 1));
        var day = new DateOnly(WeatherCalendar.Year, weeks[0].Month, weeks[0].Day).DayOfYear - 1;
        means[day].ShouldBe(means.Max(), 1e-9);
        EnergyStretch.Remarkable(Weather.Days(1, 3)).ShouldBeEmpty();
    }

    [Fact]
    public void What_fails_first_is_said_with_its_day_and_hour()
    {
        var poor = Van with
        {
            Survey = Van.Survey with
            {
                Sources =
            Van.Survey.Sources with { Battery = Van.Survey.Sources.Battery with { Blocks = 1 }, Modules = Van.Survey.Sources.Modules with { Count = 0 } }
            }
        };
        var result = Run(poor, new StretchDesign { Month = 7, Day = 31, Days = 2, StepMinutes = 5 });
        result.HeldHours.ShouldBeLessThan(result.WindowHours);
        var words = result.Findings.Single(f => f.Code == "energy.stretch-fails").Words.ToString();
        (words.Contains("31 July") || words.Contains("1 August")).ShouldBeTrue(words);
        result.Findings.ShouldContain(f => f.Code == "energy.stretch-dark" && f.Level == Severity.Stop);
        Run(Van with { Unit = Van.Unit with { Chosen = "RT-13-115" } }, new StretchDesign()).Findings.ShouldContain(f => f.Code == "energy.stretch-mean");
    }

    [Theory]
    [InlineData(2, 30, 5, "energy.stretch.day")]
    [InlineData(6, 31, 5, "energy.stretch.day")]
    [InlineData(7, 14, 7, "energy.stretch.stepMinutes")]
    [InlineData(7, 14, 4, "energy.stretch.stepMinutes")]
    public void A_day_or_a_step_that_is_none_is_refused(int month, int day, int minutes, string field) =>
        Should.Throw<InputException>(() => Run(Van, new StretchDesign { Month = month, Day = day, StepMinutes = minutes })).Errors[0].Field.ShouldBe(field);
}
