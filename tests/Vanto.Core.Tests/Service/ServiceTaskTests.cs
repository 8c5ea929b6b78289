using Vanto.Core.Service;

namespace Vanto.Core.Tests.Service;

/// <summary>When care is due. Intervals and factors: common practice, no published source; dates computed outside this project.</summary>
public class ServiceTaskTests
{
    private static readonly Func<DateOnly, double> Summer = d => d.Month is >= 5 and <= 9 ? 1 : 0.25;

    private static readonly Func<DateOnly, double> SummerHours = d => d.Month switch { 5 => 3, 6 => 6, 7 => 9, 8 => 8, 9 => 4, _ => 0 };

    private static ServiceTask Task(string id) => ServiceTasks.All.First(t => t.Id == id);

    [Theory]
    [InlineData("filter", "2026-04-01", 2, false, 8, 0, "2026-04-20", 0.633333, 1.01333, 0)]
    [InlineData("filter", "2026-04-01", 2, false, 3, 0, "2026-05-01", 1.0, 0.6, 0)]
    [InlineData("filter", "2026-04-01", 1, false, 3, 0, "2026-05-31", 1.0, 0.6, 0)]
    [InlineData("filter", "2026-04-01", 4, false, 10, 0, "2026-04-09", 0.533333, 1.06667, 0)]
    [InlineData("filter", "2025-10-10", 1, true, -1, 0, "2026-05-10", 1.00833, 0.1, 0)]
    [InlineData("outdoor-coil", "2025-05-01", 3, true, -1, 0, "2025-08-15", 0.871233, 1.0035, 0)]
    [InlineData("bracket", "2026-01-15", 2, false, 0, 0, "2026-07-17", 1.00274, 0, 0)]
    [InlineData("bracket", "2026-01-15", 1, false, 0, 45, "2026-08-26", 0.610959, 0, 1.0035)]
    public void A_care_is_due_by_the_first_counter_that_is_full(string task, string done, double factor, bool seasons, double hours, double km, string due,
        double byDays, double byHours, double byKm)
    {
        var found = ServiceTasks.Due(Task(task), DateOnly.Parse(done), factor, seasons ? Summer : _ => 1, hours < 0 ? SummerHours : _ => hours, _ => km);
        found.Due.ShouldBe(DateOnly.Parse(due));
        found.ByDays.ShouldBe(byDays, 1e-5);
        found.ByHours.ShouldBe(byHours, 1e-4);
        found.ByKm.ShouldBe(byKm, 1e-4);
    }

    [Fact]
    public void More_of_anything_never_makes_it_later()
    {
        var draw = new Random(5);
        var from = new DateOnly(2026, 4, 1);
        for (var i = 0; i < 200; i++)
        {
            var task = ServiceTasks.All[draw.Next(ServiceTasks.All.Count)];
            var (factor, hours, km) = (0.5 + 3 * draw.NextDouble(), 12 * draw.NextDouble(), 80 * draw.NextDouble());
            DateOnly? Due(double f, double h, double k) => ServiceTasks.Due(task, from, f, _ => 1, _ => h, _ => k).Due;
            var due = Due(factor, hours, km) ?? DateOnly.MaxValue;
            (Due(factor * 2, hours, km) ?? DateOnly.MaxValue).ShouldBeLessThanOrEqualTo(due);
            (Due(factor, hours + 2, km) ?? DateOnly.MaxValue).ShouldBeLessThanOrEqualTo(due);
            (Due(factor, hours, km + 20) ?? DateOnly.MaxValue).ShouldBeLessThanOrEqualTo(due);
        }
    }
}
