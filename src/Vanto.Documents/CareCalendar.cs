using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Vanto.Core.Service;

namespace Vanto.Documents;

/// <summary>Care of a rig as a calendar file (RFC 5545): a day for each, and a reminder three days before.</summary>
public static class CareCalendar
{
    private const int ReminderDays = 3;

    /// <summary>Writes it.</summary>
    /// <param name="care">Those with a date.</param>
    /// <param name="rig">Code of the job or name of the rig in the store: entries of two rigs never have one name.</param>
    public static string Write(IEnumerable<CareRow> care, string rig)
    {
        var calendar = new Ical.Net.Calendar { ProductId = "-//Vanto//care//EN" };
        foreach (var row in care.Where(c => c.Due is not null))
        {
            var entry = new CalendarEvent
            {
                Uid = $"{row.Id}@{rig}.vanto",
                Summary = row.Words,
                Description = row.How,
                Start = new CalDateTime(row.Due!.Value.Year, row.Due.Value.Month, row.Due.Value.Day),
            };
            entry.Alarms.Add(new Alarm { Action = "DISPLAY", Description = row.Words, Trigger = new Trigger(Duration.FromDays(-ReminderDays)) });
            calendar.Events.Add(entry);
        }
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }
}
