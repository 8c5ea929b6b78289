using Vanto.Core.Quantities;

namespace Vanto.Core.Service;

/// <summary>How dusty it is where the rig stands.</summary>
public enum Dust { [Called("clean")] Clean, [Called("normal")] Normal, [Called("dusty")] Dusty, [Called("very dusty")] VeryDusty }

/// <summary>How salty.</summary>
public enum Salt { [Called("inland")] Inland, [Called("coast, within 5 km")] Coast, [Called("on the shore or afloat")] Shore }

/// <summary>How a month is spent.</summary>
public enum MonthUse { [Called("in use")] InUse, [Called("standing by")] Standby, [Called("laid up")] LaidUp }

/// <summary>A care that comes again. Intervals are the trade's: common practice, no published source.</summary>
/// <param name="Id">Its name.</param>
/// <param name="Words">What is done.</param>
/// <param name="Days">At the latest after so many days.</param>
/// <param name="Hours">Or run hours.</param>
/// <param name="Km">Or kilometres.</param>
/// <param name="Dusty">Dust makes it come sooner.</param>
/// <param name="Salty">Salt does.</param>
/// <param name="Seasonal">A month laid up counts for little.</param>
/// <param name="How">In three lines.</param>
public sealed record ServiceTask(string Id, string Words, double? Days, double? Hours, double? Km, bool Dusty, bool Salty, bool Seasonal, string How)
{
    /// <summary>Done once, after the fitting.</summary>
    public bool Once { get; init; }
}

/// <summary>When a task is due, and how far its counters are then.</summary>
/// <param name="Due">The day; nothing within ten years.</param>
/// <param name="ByDays">Share of its days.</param>
/// <param name="ByHours">Share of its run hours.</param>
/// <param name="ByKm">Share of its kilometres.</param>
public readonly record struct TaskDue(DateOnly? Due, double ByDays, double ByHours, double ByKm);

/// <summary>Cares that come again by time, run hours and road, sooner with dust and salt, later in months laid up.</summary>
public static class ServiceTasks
{
    /// <summary>No date is looked for beyond so many days.</summary>
    public const int MostDays = 3650;

    /// <summary>The care that an owner tells of.</summary>
    public const string Filter = "filter";

    private const double Slack = 1e-9;

    /// <summary>All of them.</summary>
    public static IReadOnlyList<ServiceTask> All { get; } =
    [
        new(Filter, "Wash the indoor filter", 60, 300, null, true, false, true,
            "Unit off. Slide the filter out, wash it lukewarm, let it dry in the shade. Never run without it."),
        new("drain", "Clear drain and trap, pump tray and intake", 120, 600, null, true, false, true,
            "Pour a litre into the tray: it must run out outdoors. Water on the wall: unit off, wet vacuum on the end of the drain."),
        new("coil", "Indoor coil and fan", 365, 2000, null, true, false, true,
            "Breaker off. Soft brush along the fins, cleaner made for coils, rinse into the tray, dry before it runs."),
        new("outdoor-coil", "Rinse the outdoor coil", 365, 2000, null, true, true, true,
            "Breaker off. From inside outwards with little pressure; bent fins are combed. Leaves and nests out."),
        new("bracket", "Bracket, bolts, corrosion", 365, null, 10000, false, true, false,
            "Look behind every bolt for rust and cracks; marks of the torque still in line? Rubber whole?"),
        new("bracket-first", "Torque the bracket again, the first time", 90, null, 500, false, false, false,
            "To the figure on the label, in the order of the corners; mark anew.") { Once = true },
        new("joints-first", "Look at every joint again, the first time", 60, null, null, false, false, false,
            "Oil at a joint is a leak. Soap it: a slow leak shows in one to three months.") { Once = true },
        new("joints", "Joints, seals at the skin, covers", 365, null, 10000, false, true, false,
            "Oil at a joint, cracks in the sealant, covers loose, insulation open at the ends."),
        new("terminals", "Terminals, disconnect, earth, volts at the start", 365, null, 10000, false, false, false,
            "By an electrician: proved dead first. Brown or loose is made anew. Volts at the start beside those of the handover."),
        new("alarms", "Test the CO and gas alarms", 30, null, null, false, false, false, "Press the button. Older than its date on the back: a new one."),
        new("battery", "Battery terminals and capacity", 365, null, null, false, false, false,
            "Clean, tight, dry. Full to the reserve with a known load: hours beside those of the handover."),
        new("generator", "Generator's exhaust and the way of its CO", 180, 100, null, false, false, false,
            "Rust, joints, end of the pipe away from windows and intakes. Never run it in or under a closed cabin."),
    ];

    /// <summary>Dust makes it come sooner; common practice.</summary>
    public static double Of(Dust dust) => dust switch { Dust.Clean => 0.75, Dust.Normal => 1, Dust.Dusty => 2, _ => 4 };

    /// <summary>Salt does too; common practice.</summary>
    public static double Of(Salt salt) => salt switch { Salt.Inland => 1, Salt.Coast => 1.5, _ => 2 };

    /// <summary>A month that is not used counts less; common practice.</summary>
    public static double Of(MonthUse use) => use switch { MonthUse.InUse => 1, MonthUse.Standby => 0.5, _ => 0.25 };

    /// <summary>The first day on which a counter is full; the day after it was done is day 1.</summary>
    /// <param name="task">With one interval at least.</param>
    /// <param name="done">The day it was done.</param>
    /// <param name="factor">Of dust and salt, those that it listens to.</param>
    /// <param name="season">By the day.</param>
    /// <param name="hours">Run hours of a day.</param>
    /// <param name="km">Kilometres of a day.</param>
    public static TaskDue Due(ServiceTask task, DateOnly done, double factor, Func<DateOnly, double> season, Func<DateOnly, double> hours,
        Func<DateOnly, double> km)
    {
        double days = 0, run = 0, road = 0;
        for (var j = 1; j <= MostDays; j++)
        {
            var day = done.AddDays(j);
            var weight = factor * (task.Seasonal ? season(day) : 1);
            days += task.Days is { } d ? weight / d : 0;
            run += task.Hours is { } h ? weight * hours(day) / h : 0;
            road += task.Km is { } k ? km(day) * weight / k : 0;
            if (Math.Max(days, Math.Max(run, road)) >= 1 - Slack)
                return new TaskDue(day, days, run, road);
        }
        return new TaskDue(null, days, run, road);
    }
}
