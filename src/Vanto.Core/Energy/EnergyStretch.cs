using NodaTime;
using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Energy;

/// <summary>A week of the weather worth a look, by the day it begins.</summary>
public sealed record RemarkableWeek(string Words, int Month, int Day, double MeanC, double SunKWhM2);

/// <summary>A stretch of weather run in time.</summary>
public sealed record EnergyStretchResult
{
    /// <summary>What weather it was.</summary>
    public required string Weather { get; init; }

    /// <summary>Hours since midnight before the first day.</summary>
    public required EnergySeries Series { get; init; }

    /// <summary>Hours of the aim's window in it.</summary>
    public required double WindowHours { get; init; }

    /// <summary>Of them held, with the charge above the reserve.</summary>
    public required double HeldHours { get; init; }

    public required double MinSoc { get; init; }

    /// <summary>What these days come to, in a sentence.</summary>
    public Phrase Answer => Phrase.Of($"Holds {HeldHours:Hours} of {WindowHours:Hours} in these days; the unit takes {AirconWh:Energy}.");

    public required double EndSoc { get; init; }

    public required double AirconWh { get; init; }

    public required double SunWh { get; init; }

    public required double UnusedWh { get; init; }

    public required double GeneratorHours { get; init; }

    public required double FuelLitres { get; init; }

    public required EnergyLedger Ledger { get; init; }

    /// <summary>What fails first and when.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Weeks of the same weather worth a look.</summary>
    public required IReadOnlyList<RemarkableWeek> Weeks { get; init; }
}

/// <summary>Runs a rig and its sources through a night, a week or a month of its weather, in steps of 1 to 15 minutes; beside the assessment.</summary>
public static class EnergyStretch
{
    private const int MostPoints = 1200;
    /// <summary>Days of a week looked at.</summary>
    public const int WeekDays = 7;
    private static readonly int[] StepMinutes = [1, 2, 3, 5, 15];
    private static readonly string[] Months =
        ["January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"];

    /// <summary>Runs it.</summary>
    /// <exception cref="InputException">A day that the calendar or the weather does not have, or a step that does not divide the hour's quarters.</exception>
    public static EnergyStretchResult Of(EnergyInputs inputs, WeatherYear weather, string called)
    {
        var ask = inputs.Energy.Stretch;
        if (!StepMinutes.Contains(ask.StepMinutes))
            throw new InputException("energy.stretch.stepMinutes", $"{ask.StepMinutes} min", "a step is 1, 2, 3, 5 or 15 minutes");
        if (ask.Day > WeatherCalendar.DaysIn(ask.Month))
            throw new InputException("energy.stretch.day", $"{ask.Day}",
                $"{Months[ask.Month - 1]} has {WeatherCalendar.DaysIn(ask.Month)} days");
        var stepS = ask.StepMinutes * 60;
        var first = new LocalDate(WeatherCalendar.Year, ask.Month, ask.Day);
        // The run begins at the hour the day begins, so its last day reaches into the next.
        var space = SurveyedSpace.Build(inputs.Survey, inputs.Load.SetpointC, inputs.Load.HumidityPct);
        var through = RigDay.Through(space, weather.Days(first.DayOfYear, ask.Days + 1).Steps(stepS), stepS);
        var (result, energyCase, clock) = new DayRun(inputs, through, stepS, ask.Days).Run();
        var begins = Math.Round(inputs.Energy.StartHour * 3600 / stepS) * stepS / 3600;
        double[] hours = [.. Enumerable.Range(0, clock.Length).Select(k => begins + (k + 0.5) * stepS / 3600)];
        var (window, held, failure) = Judge(result, energyCase, clock, inputs);
        var ledger = result.Ledger;
        return new EnergyStretchResult
        {
            Weather = called,
            Series = EnergySeries.Of(result, energyCase, hours, 1 + (hours.Length - 1) / MostPoints),
            WindowHours = window,
            HeldHours = held,
            MinSoc = result.MinSoc,
            EndSoc = result.EndSoc,
            AirconWh = ledger.AirconWh,
            SunWh = ledger.PvAvailableWh,
            UnusedWh = ledger.CurtailedWh,
            GeneratorHours = result.GeneratorHours,
            FuelLitres = result.FuelLitres,
            Ledger = ledger,
            Findings = Finding.Ranked(Findings(inputs, first, result, hours,
                failure).Concat(RunFindings.NotClosing(ledger)).Concat(RunFindings.NotClosing(result.Water))),
            Weeks = Remarkable(weather),
        };
    }

    /// <summary>The hottest week, the cloudiest of the warmest quarter of all, and the coldest.</summary>
    public static IReadOnlyList<RemarkableWeek> Remarkable(WeatherYear weather)
    {
        var days = weather.Hours / 24;
        if (days < WeekDays)
            return [];
        var weeks = Enumerable.Range(0, days - WeekDays + 1).Select(d =>
        {
            var date = WeatherCalendar.Day(weather.FirstDay + d);
            var (from, count) = (d * 24, WeekDays * 24);
            return new RemarkableWeek("", date.Month, date.Day, weather.AirC.AsSpan(from, count).ToArray().Average(),
                weather.GlobalWm2.AsSpan(from, count).ToArray().Sum() / 1000);
        }).ToList();
        var warm = weeks.OrderByDescending(w => w.MeanC).Take(Math.Max(1, weeks.Count / 4));
        return
        [
            weeks.MaxBy(w => w.MeanC)! with { Words = "hottest week" },
            warm.MinBy(w => w.SunKWhM2)! with { Words = "cloudiest warm week" },
            weeks.MinBy(w => w.MeanC)! with { Words = "coldest week" },
        ];
    }

    /// <summary>Hours of the window, of them held, and the first step that is not with its cause.</summary>
    private static (double Window, double Held, (int Step, bool Low)? Failure) Judge(EnergyResult result, EnergyCase energyCase, double[] clock,
        EnergyInputs inputs)
    {
        var step = energyCase.StepS / 3600;
        double asked = 0, held = 0;
        (int, bool)? failure = null;
        var window = new AimWindow(inputs, energyCase);
        for (var k = 0; k < clock.Length; k++)
        {
            if (!window.Contains(clock[k]))
                continue;
            asked += step;
            var low = window.Low(result.Soc[k]);
            if (low || window.Warm(clock[k], result.AirC[k]))
                failure ??= (k, low);
            else
                held += step;
        }
        return (asked, held, failure);
    }

    private static IEnumerable<Finding> Findings(EnergyInputs inputs, LocalDate first, EnergyResult result, double[] hours, (int Step, bool Low)? failure)
    {
        Phrase When(double hour)
        {
            var date = first.PlusDays((int)(hour / 24));
            return Phrase.Of($"{date.Day} {Months[date.Month - 1]} at {hour % 24:HourOfDay}");
        }
        if (inputs.Survey.Sources.Battery.Fitted && result.CutOffHour is { } dark)
            yield return Finding.Of(FindingCode.EnergyStretchDark, Severity.Stop, $"Everything goes dark on {When(inputs.Energy.StartHour + dark)}.");
        if (failure is { } fails)
        {
            var why = fails.Low
                ? Phrase.Of($"the bank is at its reserve of {inputs.ReserveSoc:Fraction}")
                : Phrase.Of($"the cabin is at {result.AirC[fails.Step]:Temperature}");
            yield return Finding.Of(FindingCode.EnergyStretchFails, Severity.Caution, $"First it fails on {When(hours[fails.Step])}: {why}.");
        }
        if (RunFindings.Generator(result.GeneratorHours, result.FuelLitres) is { } generator)
            yield return generator;
        if (inputs.Unit.SingleSpeed && inputs.Energy.Stretch.StepMinutes > 2)
            yield return Finding.Of(FindingCode.EnergyStretchMean, Severity.Note,
                $"In steps this long a single-speed unit is taken at its mean; at 1 or 2 minutes it switches as its thermostat does.");
    }
}
