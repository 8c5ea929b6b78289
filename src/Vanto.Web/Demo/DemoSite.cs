using Vanto.Core.Install;
using Vanto.Core.Job;
using Vanto.Core.Plan;

namespace Vanto.Web.Demo;

/// <summary>A job half done, for the demo: its first steps as two phones wrote them down. Invented.</summary>
public static class DemoSite
{
    private const double MinuteMs = 60_000;

    /// <summary>Events of the first steps of a rig's plan, in their order.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="steps">So many steps are done.</param>
    /// <param name="now">None of it is still to come: a plan of later days is told as if it had begun so many whole days earlier.</param>
    public static IReadOnlyList<InstallRecord> Events(JobDesign design, int steps, DateTimeOffset now)
    {
        var assessed = Assessor.Assess(design);
        if (assessed is not { Plan: { } plan, Install: { } site } || PlanStation.Setting(design, assessed) is not { FirstDay: { } first } s)
            return [];
        var dayMs = new DateTimeOffset(first.ToDateTime(TimeOnly.MinValue), TimeSpan.FromHours(design.Survey.Place.UtcOffsetH)).ToUnixTimeMilliseconds();
        var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard).Steps.ToDictionary(x => x.Id);
        var records = new List<InstallRecord>();
        var clock = new HybridClock();
        void Write(string person, InstallValues e, double atMs)
        {
            clock = clock.Local((long)atMs);
            records.Add(new InstallRecord(Guid.CreateVersion7(), DateTimeOffset.FromUnixTimeMilliseconds((long)atMs), person, e with
            {
                Device = $"phone-{person[0]}",
                Seq = records.Count(r => r.By == person) + 1,
                L = clock.L,
                C = clock.C,
                AtMs = atMs,
            }, null));
        }

        foreach (var x in plan.Steps.OrderBy(x => x.Start ?? -1).Take(steps))
        {
            var start = dayMs + (x.Start ?? (design.Plan.When.From * 60 - 90)) * MinuteMs;
            var end = start + ((x.End - x.Start) ?? (int)x.HandsMin) * MinuteMs;
            var who = x.People.Count > 0 ? plan.People[x.People[0]].Name : plan.People[0].Name;
            Write(who, new InstallValues { Type = EventType.StepStarted, Step = x.Id }, start);
            foreach (var g in site.Steps.First(p => p.Id == x.Id).Gate.Where(g => !g.Passed))
                Write(who, g.Kind switch
                {
                    "tick" => new InstallValues { Type = EventType.TickSet, Step = x.Id, Text = g.Key },
                    "photo" => new InstallValues { Type = EventType.PhotoTaken, Step = x.Id, Field = g.Key },
                    "result" => new InstallValues { Type = EventType.ValueRecorded, Step = x.Id, Field = g.Key, AsTyped = "pass" },
                    _ => new InstallValues
                    {
                        Type = EventType.ValueRecorded,
                        Step = x.Id,
                        Field = g.Key,
                        Value = Reading(g),
                        AsTyped = $"{Reading(g)} {g.Unit}".Trim()
                    },
                }, g.Start ? start - MinuteMs : end - MinuteMs / 2);
            if (net[x.Id].Wait != default)
                Write(who, new InstallValues { Type = EventType.HandsOff, Step = x.Id }, end);
            Write(who, new InstallValues { Type = EventType.StepFinished, Step = x.Id },
                (x.WaitEnd is { } wait ? dayMs + wait * MinuteMs : end) + MinuteMs / 4);
        }
        var later = records.Max(r => r.At) - now;
        var shift = TimeSpan.FromDays(Math.Max(0, Math.Ceiling(later.TotalDays)));
        return
        [
            .. records.OrderBy(r => r.Event.L).Select(r => r with
            {
                At = r.At - shift,
                Event = r.Event with { L = r.Event.L - shift.TotalMilliseconds, AtMs = r.Event.AtMs - shift.TotalMilliseconds },
            }),
        ];
    }

    private static double Reading(GateRow g) => Math.Round(g is { Min: { } min, Max: { } max } ? min + (max - min) * 0.4 : g.Min ?? g.Max ?? 1, 2);
}
