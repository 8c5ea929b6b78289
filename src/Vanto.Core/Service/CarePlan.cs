using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Stations;
using Vanto.Core.Survey;

namespace Vanto.Core.Service;

/// <summary>The cares of one rig: those that it has, when each was done, when it is due.</summary>
public static class CarePlan
{
    /// <summary>Every care of a rig, the next first.</summary>
    public static IReadOnlyList<CareRow> Of(ServiceDesign design, SurveyDesign survey, IReadOnlyList<VisitRecord> records)
    {
        var visits = records.Standing().Select(r => (Day: Days.Of(r.Readings.Day, r.At), Values: r.Readings)).OrderBy(v => v.Day).ToList();
        var handed = Days.Read(design.HandedOver);
        var fitted = survey.Sources;
        bool Here(ServiceTask task) => task.Id switch
        {
            "battery" => fitted.Battery.Fitted,
            "generator" => fitted.Generator.Fitted,
            "alarms" => fitted.Generator.Fitted || survey.Kind != RigKind.Cabin,
            _ => true,
        };
        var rows = new List<CareRow>();
        foreach (var task in ServiceTasks.All.Where(Here))
        {
            var done = visits.LastOrDefault(v => Named(v.Values.Done).Contains(task.Id, StringComparer.OrdinalIgnoreCase));
            var last = done.Values is null ? handed : done.Day;
            if (task.Once && done.Values is not null)
                continue;
            var factor = (task.Dusty ? ServiceTasks.Of(design.Dust) : 1) * (task.Salty ? ServiceTasks.Of(design.Salt) : 1);
            var due = last is { } from ? ServiceTasks.Due(task, from, factor,
                day => ServiceTasks.Of(design.Uses(day.Month) ? MonthUse.InUse : design.Otherwise), day => design.Uses(day.Month) ? design.HoursADay : 0,
                _ => design.KmADay) : default;
            var because = due.ByHours >= Math.Max(due.ByDays, due.ByKm) ? "run hours" : due.ByKm > due.ByDays ? "road" : "time";
            rows.Add(new CareRow(task.Id, task.Words, task.How, last, due.Due, because, done.Values?.ByOwner ?? false));
        }
        return [.. rows.OrderBy(r => r.Due ?? DateOnly.MaxValue)];
    }

    /// <summary>As the owner's guide prints it.</summary>
    public static SheetBlock Printed(IReadOnlyList<CareRow> care) => new(SheetPlace.Running, "Care", SheetForm.Pairs, [.. care.Select(c => new SheetLine(
        Phrase.Of($"by {(c.Due is { } due ? Days.Text(due) : "________")}"), Phrase.Of($"{c.Words}. {c.How}"), Phrase.Empty, "", null))]);

    /// <summary>Names of cares in a list.</summary>
    internal static string[] Named(string list) => list.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
}
