using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;

namespace Vanto.Core.Energy;

/// <summary>Nobody aboard for a while: what must hold inside, and how the unit is set by its clock.</summary>
public sealed record AwayDesign : DesignPart
{
    [Ask("The guide says what to set while nobody is aboard")] public bool Asked { get; init; }
    [Field(QuantityKind.Temperature, 15, 45, Label = "Inside at most")] public double MostC { get; init; } = 35;
    [Field(QuantityKind.Percent, 40, 95, Label = "Humidity at most, on the day's mean")] public double MostRhPct { get; init; } = 70;
    [Field(QuantityKind.Count, 1, 90, Label = "Days away")] public int Days { get; init; } = 14;
    [Ask("The unit runs at all")] public bool Runs { get; init; } = true;
    [Field(QuantityKind.Temperature, 16, EnergyDesign.WarmestC, Label = "set to")] public double SetC { get; init; } = 28;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 10;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 16;
    [Ask("It may freeze while it is left")] public bool Winter { get; init; }
}

/// <summary>The rig left alone, set one way.</summary>
/// <param name="Words">How it is set.</param>
/// <param name="RunHours">Of cooling a day.</param>
/// <param name="WhADay">That the unit takes on the day that takes most.</param>
/// <param name="LowestSoc">In all the days away; nothing without a battery.</param>
/// <param name="EmptyDay">Day on which the bank is down to its reserve; nothing where it never is.</param>
/// <param name="WarmestC">Inside.</param>
/// <param name="MeanRhPct">Inside, on the mean of a day.</param>
/// <param name="TooWarm">Than was asked.</param>
/// <param name="TooDamp">Than was asked.</param>
/// <param name="Way">Takes it over.</param>
public sealed record AwayRow(Phrase Words, double RunHours, double WhADay, double? LowestSoc, int? EmptyDay, double WarmestC, double MeanRhPct, bool TooWarm,
    bool TooDamp, Remedy Way)
{
    /// <summary>Warmth, humidity and bank.</summary>
    public bool Holds => !TooWarm && !TooDamp && EmptyDay is null;

    /// <summary>Whether it holds, or what fails first.</summary>
    public string Says => EmptyDay is not null ? "too long for the bank" : TooWarm ? "too warm" : TooDamp ? "too damp" : "holds";
}

/// <summary>Ways to leave the rig side by side.</summary>
/// <param name="Best">The place of the one that holds everything with the least energy; nothing where none does.</param>
public sealed record AwayView(IReadOnlyList<AwayRow> Rows, int? Best, Phrase Answer);

/// <summary>
/// The rig with nobody in it: covers closed, only what runs round the clock on, the unit by its clock. The design day is run for some days, then what
/// the bank loses a day is taken on to the end; the product's own method.
/// </summary>
public static class Away
{
    private const int RunDays = 4, StepsADay = 86400 / RigDay.StepS;
    private const double StepH = RigDay.StepS / 3600.0, AllDayH = 24, NeverC = 99;

    /// <summary>Water in the drain, the pump's tray and the fresh-water lines begins to freeze; a margin over 0 °C, common practice.</summary>
    private const double FrostC = 2;

    private static readonly (double From, double To)[] Windows = [(11, 15), (10, 17), (8, 20), (0, 24)];
    private static readonly double[] CoolerK = [0, 4, 8];

    /// <summary>The rig as it is left.</summary>
    public static SurveyDesign Left(SurveyDesign survey) => survey.Covered() with
    {
        People = survey.People with { Count = 0 },
        Devices = [.. survey.Devices.Where(d => Day.Length(d.From, d.To) >= AllDayH)],
    };

    /// <summary>As the design sets it.</summary>
    public static AwayRow Of(EnergyInputs inputs) => Row(inputs, RigDay.Of(Left(inputs.Survey), inputs.Load).Day, inputs.Energy.Away);

    /// <summary>What is to be said of it.</summary>
    public static IEnumerable<Finding> Findings(EnergyInputs inputs, AwayRow row)
    {
        var (away, place) = (inputs.Energy.Away, inputs.Survey.Climate);
        if (row.EmptyDay is { } day)
            yield return Finding.Of(FindingCode.AwayBankEmpty, Severity.Stop,
                $"Nobody aboard: on day {day} the bank is down to its reserve of {inputs.ReserveSoc:Fraction}; fridge and alarms follow.");
        if (row.TooWarm)
            yield return Finding.Of(FindingCode.AwayWarm, Severity.Caution,
                $"Nobody aboard: it gets {row.WarmestC:Temperature} inside where {away.MostC:Temperature} were asked.");
        if (row.TooDamp)
            yield return Finding.Of(FindingCode.AwayDamp, Severity.Caution,
                $"Nobody aboard: the air inside stands at {row.MeanRhPct:Percent} of humidity on the mean, {away.MostRhPct:Percent} were asked: mould.");
        if (away.Winter && place.WinterC < FrostC)
            yield return Finding.Of(FindingCode.AwayFrost, Severity.Caution,
                $"Nobody aboard: nights of {place.WinterC:Temperature}. Drain the water, empty the trap and the pump's tray, cover the outdoor unit.");
    }

    /// <summary>All ways side by side: off, and by the clock at some set-points.</summary>
    public static AwayView Study(EnergyInputs inputs)
    {
        var away = inputs.Energy.Away;
        var day = RigDay.Of(Left(inputs.Survey), inputs.Load).Day;
        List<AwayDesign> ways =
        [
            away with { Runs = false },
            .. from cooler in CoolerK
               from window in Windows
               select away with { Runs = true, SetC = Math.Clamp(away.MostC - cooler, 16, EnergyDesign.WarmestC), From = window.From, To = window.To },
        ];
        ways = [.. ways.Distinct()];
        var rows = new AwayRow[ways.Count];
        Parallel.For(0, rows.Length, new ParallelOptions { CancellationToken = inputs.Stop }, i => rows[i] = Row(inputs, day, ways[i]));
        var order = rows.OrderBy(r => !r.Holds).ThenBy(r => r.WhADay).ToList();
        return order[0].Holds
            ? new AwayView(order, 0, Phrase.Of($"Least that holds: {order[0].Words}, {order[0].WhADay:Energy} a day."))
            : new AwayView(order, null, Phrase.Of($"No setting of the unit holds it: a dehumidifier, shade, vents or shore power are asked."));
    }

    private static Phrase Said(AwayDesign a) => !a.Runs ? Phrase.Of($"off by its remote, standing by")
        : Day.Length(a.From, a.To) >= AllDayH ? Phrase.Of($"{a.SetC:Temperature} all day")
        : Phrase.Of($"{a.SetC:Temperature}, {a.From:HourOfDay} to {a.To:HourOfDay}");

    private static AwayRow Row(EnergyInputs inputs, RigDay day, AwayDesign away)
    {
        var energy = inputs.Energy with
        {
            SetpointC = away.Runs ? away.SetC : NeverC,
            OtherwiseC = NeverC,
            From = away.From,
            To = away.To,
            Setpoints = [],
            PreCoolK = 0,
            EcoSoc = 0,
            Humidity = HumidityModel.Balanced,
        };
        // Off by its clock means the fan too; in its hours it goes with the compressor.
        var left = inputs with { Survey = Left(inputs.Survey), Energy = energy, Day = day, FanOnAuto = true };
        var (result, run, _) = new DayRun(left, day, RigDay.StepS, RunDays).Run();
        var pressure = day.Space.Weather.PressurePa;
        var last = Enumerable.Range((RunDays - 1) * StepsADay, StepsADay).ToList();
        var humid = last.Average(k => Math.Min(100, MoistAir.RelativeHumidity(result.AirC[k], result.Ratio[k], pressure)));
        var warmest = result.AirC.Skip(StepsADay).Max();
        var (lowest, empty) = inputs.Survey.Sources.Battery.Fitted ? Bank(result, away.Days, inputs.ReserveSoc) : (null, null);
        // The day that takes most: a bank that is empty feeds nothing any more, which must not read as thrift.
        var most = Enumerable.Range(1, RunDays - 1).Select(day => Enumerable.Range(day * StepsADay, StepsADay).ToList())
            .MaxBy(day => day.Sum(k => result.AirconW[k]))!;
        var taken = most.Sum(k => result.AirconW[k]) * StepH;
        return new AwayRow(Said(away), most.Count(k => result.CoolingW[k] > 0) * StepH, taken, lowest, empty, warmest, humid,
            warmest > away.MostC + run.ToleranceK, humid > away.MostRhPct, new Remedy(Said(away), Phrase.Of($"{taken:Energy} a day"),
                DesignEdit.Of(inputs.Energy, e => e with { Away = away with { Asked = true } })));
    }

    /// <summary>Lowest charge of the stay, and the day on which the reserve is reached.</summary>
    private static (double? Lowest, int? Empty) Bank(EnergyResult result, int days, double reserve)
    {
        double LowOf(int day) => result.Soc.Skip(day * StepsADay).Take(StepsADay).Min();
        var loses = Math.Max(0, LowOf(RunDays - 2) - LowOf(RunDays - 1));
        var lowest = 1.0;
        for (var day = 1; day <= days; day++)
        {
            var low = day <= RunDays ? LowOf(day - 1) : LowOf(RunDays - 1) - (day - RunDays) * loses;
            lowest = Math.Min(lowest, Math.Max(0, low));
            if (low <= reserve)
                return (lowest, day);
        }
        return (lowest, null);
    }

    /// <summary>As the owner's guide prints it.</summary>
    public static SheetBlock Printed(AwayRow row, AwayDesign away) => new(SheetPlace.Running, "Nobody aboard", SheetForm.Sentences,
    [
        SheetLine.Sentence(Phrase.Of($"Set by its clock: {row.Words}, fan on auto. Covers closed, water off, all but what must run switched off.")),
        SheetLine.Sentence(Phrase.Of($"It runs {row.RunHours:Hours} and takes {row.WhADay:Energy} on a hot day; inside at most {row.WarmestC:Temperature}, "
            + $"{row.MeanRhPct:Percent} of humidity.")),
        .. row.LowestSoc is { } low ? [SheetLine.Sentence(row.EmptyDay is { } day
            ? Phrase.Of($"The bank is down to its reserve on day {day}: back before, or shore power.")
            : Phrase.Of($"In {away.Days} such days the bank falls to {low:Fraction}, no lower."))] : Array.Empty<SheetLine>(),
    ]);
}
