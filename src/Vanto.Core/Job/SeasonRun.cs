using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Job;

/// <summary>
/// One month of a year: kWh of cooling and heating, hours above the set-point by half a kelvin without any cooling, and the month's own design peak.
/// </summary>
public sealed record SeasonMonth(int Month, double CoolingKWh, double HeatingKWh, int HoursAboveFree, double? DesignPeakW);

/// <summary>A year of the rig: by month, over all, and what the chosen unit's turn-down leaves of it.</summary>
public sealed record SeasonResult
{
    public required string Weather { get; init; }
    public required IReadOnlyList<SeasonMonth> Months { get; init; }
    public required double CoolingKWh { get; init; }
    public required double HeatingKWh { get; init; }
    public required double PeakW { get; init; }
    public required int CoolingHours { get; init; }
    public required int HoursAboveFree { get; init; }
    public required int? WorstMonth { get; init; }
    public required PartLoadYear? PartLoad { get; init; }

    /// <summary>What the year asks, in a sentence.</summary>
    public Phrase Answer => Phrase.Of($"{1000 * CoolingKWh:HeatEnergy} of cooling in {CoolingHours:Count} hours, {1000 * HeatingKWh:HeatEnergy} of heating.");

    public required IReadOnlyList<Finding> Findings { get; init; }
}

/// <summary>Runs a rig through a year of weather; long work beside the assessment.</summary>
public static class SeasonRun
{
    /// <summary>Weather made from the climate's months.</summary>
    /// <exception cref="InputException">Not twelve months.</exception>
    public static WeatherYear Made(SurveyDesign survey)
    {
        var place = survey.Place;
        if (survey.Climate.Months.Count != 12)
            throw new InputException("survey.climate.months", $"{survey.Climate.Months.Count}",
                "A year needs the twelve months of the climate, or a weather file.");
        return new WeatherGenerator(new WeatherPlace(place.Name, place.LatitudeDeg, place.LongitudeDeg, place.UtcOffsetH, place.ElevationM),
            survey.Climate.Months, place.LinkeTurbidity).Year((ulong)survey.Climate.Seed);
    }

    /// <summary>Runs the year.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="weather">Its weather.</param>
    /// <param name="called">What the weather is called.</param>
    /// <param name="stop">Cancels the work.</param>
    public static SeasonResult Of(JobDesign design, WeatherYear weather, string called, CancellationToken stop = default)
    {
        if (design.Load.HeatC >= design.Load.SetpointC)
            throw new InputException("load.heatC", Phrase.Of($"{design.Load.HeatC:Temperature}"),
                Phrase.Of($"Heating to {design.Load.HeatC:Temperature} must stay below the set-point of {design.Load.SetpointC:Temperature}."));
        var space = SurveyedSpace.Build(design.Survey, design.Load.SetpointC, design.Load.HumidityPct);
        var drivers = SpaceDrivers.Build(space, weather.Steps(900), 900);
        var run = new YearRun(space, drivers, 900);
        stop.ThrowIfCancellationRequested();
        var held = run.Run(design.Load.HeatC);
        stop.ThrowIfCancellationRequested();
        var free = run.Run(design.Load.HeatC, cool: false);
        stop.ThrowIfCancellationRequested();
        var peaks = design.Survey.Climate.Months.Count == 12 ? WorstDesignMonth.Peaks(space, [.. design.Survey.Climate.Months.Select(m => m.MaxC)]) : null;
        var months = Enumerable.Range(1, 12).Select(m =>
        {
            var hours = Enumerable.Range(0, weather.Hours).Where(h => MonthOf(weather, h) == m).ToList();
            return new SeasonMonth(m, hours.Sum(held.TotalW) / 1000, hours.Sum(h => held.HeatingW[h]) / 1000,
                hours.Count(h => free.IndoorC[h] > space.SetpointC + 0.5), peaks?[m - 1]);
        }).ToList();
        var unit = UnitCatalogue.All.Concat(design.Unit.Own).FirstOrDefault(u => u.Id == design.Unit.Chosen);
        var part = unit is null ? null : PartLoadHours.Of(held, unit.RatedCapacityW, unit.SingleSpeed ? unit.RatedCapacityW : unit.MinCapacityW,
            space.Weather.PressurePa, unit.CyclingDegradation);
        int? worst = peaks is null ? null : Array.IndexOf(peaks, peaks.Max()) + 1;
        var findings = Findings(design, held, part, unit, worst, peaks).ToList();
        return new SeasonResult
        {
            Weather = called,
            Months = months,
            CoolingKWh = held.SensibleKWh + held.LatentKWh,
            HeatingKWh = held.HeatingKWh,
            PeakW = held.PeakW,
            CoolingHours = held.CoolingHours,
            HoursAboveFree = months.Sum(m => m.HoursAboveFree),
            WorstMonth = worst,
            PartLoad = part,
            Findings = findings,
        };
    }

    private static int MonthOf(WeatherYear weather, int hour) =>
        WeatherCalendar.Day(weather.FirstDay + hour / 24).Month;

    private static IEnumerable<Finding> Findings(JobDesign design, YearResult year, PartLoadYear? part, AcUnit? unit, int? worst, double[]? peaks)
    {
        if (worst is { } month && peaks is not null && peaks[month - 1] > 1.02 * peaks[design.Survey.Place.Month - 1])
            yield return Finding.Of(FindingCode.DesignMonth, Severity.Caution, $"Month {month} has a higher peak than the design month: "
                + $"{peaks[month - 1]:Power} against {peaks[design.Survey.Place.Month - 1]:Power}. Low sun on the windows does it.");
        if (part is { BelowShare: > 0.4 } && unit is { SingleSpeed: false })
            yield return Finding.Of(FindingCode.UnitTurnDownYear, part.BelowShare > 0.7 || part.CyclingLossShare > 0.10 ? Severity.Caution : Severity.Note,
                $"In {part.BelowShare:Fraction} of the cooling hours of the year {unit.Name} cycles below its lowest steady cooling.");
        if (part is { UnmetHours: > 0 })
            yield return Finding.Of(FindingCode.UnitUnmetYear, Severity.Note,
                $"{part.UnmetHours} of {year.CoolingHours} cooling hours ask for more than {unit!.Name} gives.");
    }
}
