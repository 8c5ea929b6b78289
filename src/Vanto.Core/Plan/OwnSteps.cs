namespace Vanto.Core.Plan;

/// <summary>A step of this job alone, laid out with those of the library.</summary>
/// <param name="Task">As the library would have it.</param>
/// <param name="Before">Step that waits for it; empty where none does.</param>
public sealed record OwnStep(LibraryTask Task, string Before);

/// <summary>Own steps of a plan as steps of the library.</summary>
public static class OwnSteps
{
    /// <summary>Begins the id of each, so that the run sheet knows them by their name and not by their row.</summary>
    public const string Prefix = "own-";

    /// <summary>Least and greatest time beside the typed one; the spread of practised work, common practice.</summary>
    private const double Best = 0.75, Worst = 1.8;

    /// <summary>All of them; of two with one name the second is numbered.</summary>
    public static IReadOnlyList<OwnStep> Of(IReadOnlyList<OwnStepDesign> own, TaskLibrary library)
    {
        var taken = new Dictionary<string, int>();
        return [.. own.Select(o =>
        {
            var id = Prefix + Slug(o.Name);
            var n = taken[id] = taken.GetValueOrDefault(id) + 1;
            return new OwnStep(Made(o, n > 1 ? $"{id}-{n}" : id, library), o.Before);
        })];
    }

    private static LibraryTask Made(OwnStepDesign o, string id, TaskLibrary library)
    {
        var after = library.Tasks.FirstOrDefault(t => t.Id == o.After);
        double[] Three(double likely) => [Best * likely, likely, Worst * likely];
        return new LibraryTask(id, after?.Stage ?? library.Stages[0], o.Name.Trim().Length > 0 ? o.Name.Trim() : "own step", "", [], null, null,
            after is null ? [] : [new TaskEdge(after.Id, "wait", 0, null)], new ActiveTime(Three(o.HandsMin), []), o.People,
            o.Led switch { Licence.Handler => "handler", Licence.Electrician => "electrician", _ => "anyone" },
            o.Place.ToString().ToLowerInvariant(), "break", [],
            o.WaitMin > 0 ? new TaskWait("wait", Three(o.WaitMin), "none", 0, "", []) : null, 0,
            new TaskLimits(o.Place is StepPlace.Outside or StepPlace.Roof, false, null, o.Place == StepPlace.Roof, null), null,
            new TaskGates([], o.Check.Trim() is { Length: > 0 } check
                ? [new GateItem("tick", check, null, null, null, null, null, null, null, "reason", null)] : []), [], null, []);
    }

    private static string Slug(string name) => string.Join('-', new string([.. name.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')])
        .Split(' ', StringSplitOptions.RemoveEmptyEntries));
}
