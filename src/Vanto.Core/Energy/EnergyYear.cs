using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>One week of a year: lowest charge, hours in the window too warm, hours without the unit for want of energy, kWh, generator hours.</summary>
public sealed record EnergyWeek
{
    public required int Number { get; init; }
    public required double MinSoc { get; init; }
    public required double WarmHours { get; init; }
    public required double WithoutUnitHours { get; init; }
    public required double AirconKWh { get; init; }
    public required double SunKWh { get; init; }
    public required double UnusedKWh { get; init; }
    public required double OtherSourcesKWh { get; init; }
    public required double GeneratorHours { get; init; }
}

/// <summary>A year of the rig with its sources.</summary>
public sealed record EnergyYearResult
{
    /// <summary>What weather it was.</summary>
    public required string Weather { get; init; }

    /// <summary>52 weeks and a day.</summary>
    public required IReadOnlyList<EnergyWeek> Weeks { get; init; }

    public required double AirconKWh { get; init; }

    public required double SunKWh { get; init; }

    public required double UnusedKWh { get; init; }

    public required double GeneratorHours { get; init; }

    public required double FuelLitres { get; init; }

    public required double WarmHours { get; init; }

    /// <summary>Discharged charge over the bank's own.</summary>
    public required double Cycles { get; init; }

    public required EnergyLedger Ledger { get; init; }

    /// <summary>What fails first and when.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>What the year comes to, in a sentence.</summary>
    public Phrase Answer => WarmHours < 0.5 ? Phrase.Of($"The year is held; the unit takes {1000 * AirconKWh:Energy}.")
        : Phrase.Of($"{WarmHours:Hours} of the year are too warm; the unit takes {1000 * AirconKWh:Energy}.");
}

/// <summary>Runs a rig and its sources through hourly weather, cabin and electrical side together; long work beside the assessment.</summary>
public static class EnergyYear
{
    /// <summary>Seconds a step.</summary>
    public const int StepS = 900;

    private const int StepsAWeek = 7 * 86400 / StepS;

    public static EnergyYearResult Of(EnergyInputs inputs, WeatherYear weather, string called)
    {
        var space = SurveyedSpace.Build(inputs.Survey, inputs.Load.SetpointC, inputs.Load.HumidityPct);
        var through = RigDay.Through(space, weather.Steps(StepS), StepS);
        var (result, energyCase, hours) = new DayRun(inputs, through, StepS, weather.Hours / 24).Run();
        var weeks = Weeks(inputs, result, energyCase, hours);
        var cycles = result.BatteryW.Where(p => p < 0).Sum(p => -p) * StepS / 3600 / ((energyCase.Bank.StoredJ(1) - energyCase.Bank.StoredJ(0)) / 3600);
        var ledger = result.Ledger;
        return new EnergyYearResult
        {
            Weather = called,
            Weeks = weeks,
            AirconKWh = ledger.AirconWh / 1000,
            SunKWh = ledger.PvAvailableWh / 1000,
            UnusedKWh = ledger.CurtailedWh / 1000,
            GeneratorHours = result.GeneratorHours,
            FuelLitres = result.FuelLitres,
            WarmHours = weeks.Sum(w => w.WarmHours),
            Cycles = inputs.Survey.Sources.Battery.Fitted ? cycles : 0,
            Ledger = ledger,
            Findings = Finding.Ranked(Findings(inputs, weeks, result,
                hours).Concat(RunFindings.NotClosing(ledger)).Concat(RunFindings.NotClosing(result.Water))),
        };
    }

    /// <summary>A run of a year, week by week.</summary>
    internal static List<EnergyWeek> Weeks(EnergyInputs inputs, EnergyResult result, EnergyCase energyCase, double[] hours) =>
        [.. Enumerable.Range(0, (hours.Length + StepsAWeek - 1) / StepsAWeek).Select(w => Week(w, result, energyCase, hours, inputs))];

    private static EnergyWeek Week(int week, EnergyResult result, EnergyCase energyCase, double[] hours, EnergyInputs inputs)
    {
        double minSoc = 1, warm = 0, without = 0, aircon = 0, sun = 0, used = 0, other = 0, generator = 0;
        const double step = StepS / 3600.0;
        var window = new AimWindow(inputs, energyCase);
        for (var k = week * StepsAWeek; k < Math.Min(hours.Length, (week + 1) * StepsAWeek); k++)
        {
            minSoc = Math.Min(minSoc, result.Soc[k]);
            warm += window.Contains(hours[k]) && window.Warm(hours[k], result.AirC[k]) ? step : 0;
            without += result.Mode[k] is RunMode.Standby or RunMode.Blocked ? step : 0;
            aircon += result.AirconW[k] * step / 1000;
            used += result.PvW[k] * step / 1000;
            sun += result.ArrayW[k] * step / 1000;
            other += result.SourceW[k] * step / 1000;
            generator += energyCase.Generator is not null && result.SourceW[k] > (energyCase.AlternatorW?[k] ?? 0) + 1 ? step : 0;
        }
        return new EnergyWeek
        {
            Number = week + 1,
            MinSoc = minSoc,
            WarmHours = warm,
            WithoutUnitHours = without,
            AirconKWh = aircon,
            SunKWh = sun,
            UnusedKWh = sun - used / energyCase.Modules.ControllerEfficiency,
            OtherSourcesKWh = other,
            GeneratorHours = generator,
        };
    }

    private static IEnumerable<Finding> Findings(EnergyInputs inputs, List<EnergyWeek> weeks, EnergyResult result, double[] hours)
    {
        var battery = inputs.Survey.Sources.Battery.Fitted;
        var low = weeks.FirstOrDefault(w => battery && w.MinSoc < inputs.ReserveSoc);
        if (low is not null)
            yield return Finding.Of(FindingCode.EnergyYearReserve, Severity.Caution,
                $"The bank falls below its reserve first in week {low.Number}, in {weeks.Count(w => w.MinSoc < inputs.ReserveSoc)} of {weeks.Count} weeks.");
        if (result.CutOffHour is { } dark && battery)
            yield return Finding.Of(FindingCode.EnergyYearDark, Severity.Stop, $"Everything goes dark on day {(int)(dark / 24) + 1} of the year.");
        var warm = weeks.MaxBy(w => w.WarmHours)!;
        if (warm.WarmHours > 0)
            yield return Finding.Of(FindingCode.EnergyYearWarm, Severity.Note,
                $"Week {warm.Number} is the hardest: {warm.WarmHours:Hours} of the window are too warm.");
        if (battery && result.Soc[^1] < result.Soc[Math.Min(hours.Length - 1, StepsAWeek)] - 0.2)
            yield return Finding.Of(FindingCode.EnergyYearSinks, Severity.Note, $"The year ends with {result.Soc[^1]:Fraction} in the bank.");
    }
}
