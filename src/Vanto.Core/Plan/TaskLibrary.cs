using System.Text.Json;
using System.Text.Json.Serialization;
using Vanto.Core.Findings;

namespace Vanto.Core.Plan;

/// <summary>A least, likely and greatest number of minutes.</summary>
public readonly record struct Minutes(double Best, double Likely, double Worst)
{
    public static Minutes operator +(Minutes a, Minutes b) => new(a.Best + b.Best, a.Likely + b.Likely, a.Worst + b.Worst);

    public static Minutes operator *(Minutes a, double by) => new(a.Best * by, a.Likely * by, a.Worst * by);

    internal static Minutes Of(double[] three) => three.Length == 3 && three[0] <= three[1] && three[1] <= three[2] ? new(three[0], three[1], three[2])
        : throw new FormatException($"[{string.Join(", ", three)}] is no least, likely and greatest.");
}

/// <summary>A kind of job: <c>base</c>, or a modifier of a split.</summary>
public sealed record JobKind(string Id, string Name, string Role);

/// <summary>A fact or a school and what it can be; the first value is the usual one.</summary>
public sealed record TagGroup(string Id, IReadOnlyList<string> Values, string Default, bool School);

/// <summary>A count of the design that lengthens steps.</summary>
public sealed record TaskDriver(string Id, double Default, string Unit, string Meaning);

/// <summary>Equipment that one step at a time can hold.</summary>
public sealed record Equipment(string Id, string Name, int Count);

/// <summary>A tool.</summary>
public sealed record Tool(string Id, string Name, string Kind, int? CalibrationMonths, double MassKg);

/// <summary>A material and how it is bought.</summary>
/// <param name="DefaultPacks">Sizes it is sold in.</param>
/// <param name="WasteFraction">Bought beyond the need.</param>
/// <param name="LeadWorkingDays">Least, likely and greatest days to get it.</param>
/// <param name="NeededByTask">First step that takes it; of <paramref name="OrTasks"/> the earliest counts.</param>
public sealed record Material(string Id, string Name, string Unit, IReadOnlyList<double> DefaultPacks, double WasteFraction, double[] LeadWorkingDays,
    string NeededByTask, IReadOnlyList<string>? OrTasks, string? When);

/// <summary>A step that must be over before another begins.</summary>
/// <param name="Task">Which.</param>
/// <param name="After">Its <c>hands</c> or its <c>wait</c>.</param>
/// <param name="LagMin">And so many minutes.</param>
/// <param name="When">Holds only there; empty holds always.</param>
public sealed record TaskEdge(string Task, string After, double LagMin, string? When);

/// <summary>What a count adds to a step, or a fact multiplies it by.</summary>
public sealed record ActiveDriver(string? Per, double[]? Each, string? By, IReadOnlyDictionary<string, double>? Factor);

/// <summary>Hands of a step for one practised fitter, in minutes.</summary>
public sealed record ActiveTime(double[] Base, IReadOnlyList<ActiveDriver> Drivers);

/// <summary>Equipment a step holds until the hands of another are over, or its own wait.</summary>
public sealed record HeldEquipment(string Id, string? Until, string? When);

/// <summary>Another length of a wait where a tag holds.</summary>
public sealed record WaitVariant(string When, double[] Minutes);

/// <summary>What runs by itself after the hands of a step.</summary>
/// <param name="Presence"><c>site</c> where somebody stays.</param>
public sealed record TaskWait(string Kind, double[] Minutes, string Presence, double SitePowerW, string Note, IReadOnlyList<WaitVariant> Variants);

/// <summary>What a step asks of the day.</summary>
public sealed record TaskLimits(bool Daylight, bool Dry, double? WindMaxMs, bool HotHoursBarred, double? MinTempC);

/// <summary>A step that waits for somebody outside the crew.</summary>
public sealed record TaskHold(string Type, string Who, int BookAheadDays);

/// <summary>What must hold before a step begins or ends.</summary>
/// <param name="Kind">tick, value, photo, result or no-stop.</param>
/// <param name="Override">reason, second or never.</param>
public sealed record GateItem(string Kind, string? Text, string? Field, string? Unit, double? Min, double? Max, string? Slot,
    [property: JsonPropertyName("equals")] string? Passes, string? Station, string Override, string? When)
{
    /// <summary>Its name within its step.</summary>
    public string Key => Kind switch { "tick" => Text!, "photo" => Slot!, "no-stop" => $"no stop in {Station}", _ => Field! };
}

/// <summary>Gates of a step.</summary>
public sealed record TaskGates(IReadOnlyList<GateItem> Start, IReadOnlyList<GateItem> Finish);

/// <summary>A tool a step takes.</summary>
public sealed record TaskTool(string Id, string? When);

/// <summary>A step of the library.</summary>
public sealed record LibraryTask(string Id, string Stage, string Name, string Description, IReadOnlyList<string> Kinds, string? When, string? Repeat,
    IReadOnlyList<TaskEdge> Predecessors, ActiveTime ActiveMin, int Crew, string Skill, string Place, string Pause, IReadOnlyList<HeldEquipment> Equipment,
    TaskWait? Wait, double SitePowerW, TaskLimits Limits, TaskHold? Hold, TaskGates Gate, IReadOnlyList<string> Mistakes, string? PhotoSlot,
    IReadOnlyList<TaskTool> Tools);

/// <summary>Steps, tools, materials and equipment that jobs are made of. Common practice, no published source.</summary>
public sealed class TaskLibrary
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    public required int SchemaVersion { get; init; }
    public required string Source { get; init; }
    public required string Note { get; init; }
    public required IReadOnlyList<string> Stages { get; init; }
    public required IReadOnlyList<JobKind> JobKinds { get; init; }
    public required IReadOnlyList<TagGroup> TagGroups { get; init; }
    public required IReadOnlyList<TaskDriver> Drivers { get; init; }
    public required IReadOnlyList<string> Skills { get; init; }
    public required IReadOnlyList<string> Places { get; init; }
    public required IReadOnlyList<Equipment> Equipment { get; init; }
    public required IReadOnlyList<string> WaitKinds { get; init; }
    public required IReadOnlyList<Tool> Tools { get; init; }
    public required IReadOnlyList<Material> Materials { get; init; }
    public required IReadOnlyList<string> PhotoSlots { get; init; }
    public required IReadOnlyList<LibraryTask> Tasks { get; init; }

    /// <summary>The one that ships with Vanto.</summary>
    public static TaskLibrary Standard { get; } = Shipped();

    /// <summary>Conditions by their text, read once.</summary>
    [JsonIgnore]
    private readonly Dictionary<string, TagExpression> _conditions = [];

    [JsonIgnore]
    private Dictionary<string, LibraryTask> _byId = [];

    /// <summary>A step by its id.</summary>
    public LibraryTask Task(string id) => _byId[id];

    public bool Has(string id) => _byId.ContainsKey(id);

    /// <summary>True where a condition of this library holds; an empty one does.</summary>
    public bool Holds(string? condition, IReadOnlySet<string> tags) => string.IsNullOrEmpty(condition) || _conditions[condition].Holds(tags);

    private static TaskLibrary Shipped()
    {
        using var stream = typeof(TaskLibrary).Assembly.GetManifestResourceStream("task-library.json")!;
        using var reader = new StreamReader(stream);
        return Read(reader.ReadToEnd());
    }

    /// <summary>Reads a library and checks that it hangs together.</summary>
    /// <exception cref="InputException">Something in it is named that there is not, or is no length of time.</exception>
    public static TaskLibrary Read(string text)
    {
        try
        {
            var library = JsonSerializer.Deserialize<TaskLibrary>(text, Json)!;
            library.Check();
            return library;
        }
        catch (Exception e) when (e is JsonException or FormatException)
        {
            throw new InputException("library", "", $"The steps cannot be read: {e.Message}");
        }
    }

    private void Check()
    {
        _byId = Tasks.ToDictionary(t => t.Id);
        var space = new TagSpace(JobKinds.Select(k => k.Id).Append("split").Concat(TagGroups.SelectMany(g => g.Values.Select(v => $"{g.Id}={v}"))).ToHashSet());
        foreach (var condition in Conditions().Where(c => !string.IsNullOrEmpty(c)).Distinct())
            _conditions[condition!] = TagExpression.Parse(condition, space);
        void Named<T>(IEnumerable<T> used, IEnumerable<T> known, string what)
        {
            if (used.Except(known).ToList() is { Count: > 0 } astray)
                throw new FormatException($"there is no {what} {string.Join(", ", astray)}.");
        }

        Named(Tasks.Select(t => t.Stage), Stages, "stage");
        Named(Tasks.SelectMany(t => t.Kinds), JobKinds.Select(k => k.Id), "kind of job");
        Named(Tasks.SelectMany(t => t.Predecessors).Select(p => p.Task), _byId.Keys, "step");
        Named(Tasks.Select(t => t.Skill), Skills, "skill");
        Named(Tasks.Select(t => t.Place), Places, "place");
        Named(Tasks.SelectMany(t => t.Equipment).Select(e => e.Id), Equipment.Select(e => e.Id), "equipment");
        Named(Tasks.SelectMany(t => t.Equipment).Select(e => e.Until).OfType<string>(), _byId.Keys, "step");
        Named(Tasks.Select(t => t.Wait?.Kind).OfType<string>(), WaitKinds, "kind of wait");
        Named(Tasks.SelectMany(t => t.Tools).Select(t => t.Id), Tools.Select(t => t.Id), "tool");
        Named(Materials.Select(m => m.NeededByTask), _byId.Keys, "step");
        Named(Tasks.SelectMany(t => t.ActiveMin.Drivers).Select(d => d.Per).OfType<string>(), Drivers.Select(d => d.Id), "driver");
        foreach (var t in Tasks)
            _ = (Minutes.Of(t.ActiveMin.Base), t.Wait is { } wait ? Minutes.Of(wait.Minutes) : default);
    }

    private IEnumerable<string?> Conditions() =>
    [
        .. Tasks.Select(t => t.When), .. Tasks.SelectMany(t => t.Predecessors).Select(p => p.When),
        .. Tasks.SelectMany(t => t.Equipment).Select(e => e.When), .. Tasks.SelectMany(t => t.Tools).Select(t => t.When),
        .. Tasks.SelectMany(t => t.Wait?.Variants ?? []).Select(v => v.When), .. Materials.Select(m => m.When),
        .. Tasks.SelectMany(t => t.Gate.Start.Concat(t.Gate.Finish)).Select(g => g.When),
    ];
}
