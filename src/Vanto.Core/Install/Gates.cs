using Vanto.Core.Plan;

namespace Vanto.Core.Install;

/// <summary>What gates know beside the step's own record.</summary>
/// <param name="Tags">Of the job.</param>
/// <param name="Stops">Stations with an open stop.</param>
/// <param name="Limits">Limits that design or plate know, by field; they take the place of the library's.</param>
public sealed record GateFacts(IReadOnlySet<string> Tags, IReadOnlySet<string> Stops, IReadOnlyDictionary<string, (double? Min, double? Max)> Limits);

/// <summary>A gate item and whether it passes.</summary>
/// <param name="Key">Its name within the step.</param>
/// <param name="Kind">tick, value, photo, result or no-stop.</param>
/// <param name="Words">What is asked.</param>
/// <param name="Unit">Of a value.</param>
/// <param name="Min">Least value.</param>
/// <param name="Max">Greatest.</param>
/// <param name="Passes">What a result must be; empty for other kinds.</param>
/// <param name="Override">reason, second or never.</param>
/// <param name="Start">It is asked before the step begins.</param>
/// <param name="Passed">It passes.</param>
/// <param name="Said">What was written down.</param>
/// <param name="Passing">It was passed over with a reason.</param>
/// <param name="Units">Units that a value may be typed in, its own first; empty for other kinds.</param>
public sealed record GateRow(string Key, string Kind, string Words, string Unit, double? Min, double? Max, string Passes, string Override, bool Start,
    bool Passed,
    string Said,
    bool Passing,
    IReadOnlyList<GateUnit> Units);

/// <summary>A unit that a gate's value may be typed in: value = typed · factor + offset, in the gate's own unit. Definitions.</summary>
public sealed record GateUnit(string Symbol, double Factor, double Offset = 0)
{
    private const double InchM = 0.0254;
    private const double PoundKg = 0.45359237;
    private const double PoundForceN = 4.4482216152605;

    /// <summary>Pressure of a micron of mercury, Pa; conventional.</summary>
    private const double MicronPa = 0.133322387415;

    private static readonly Dictionary<string, GateUnit[]> Others = new()
    {
        ["m"] = [new("cm", 0.01), new("mm", 0.001), new("in", InchM), new("ft", 12 * InchM)],
        ["mm"] = [new("in", 1000 * InchM)],
        ["mm/m"] = [new("%", 10), new("in/ft", 1000.0 / 12)],
        ["degC"] = [new("°F", 5.0 / 9, -160.0 / 9)],
        ["MPa"] = [new("bar", 0.1), new("psi", 1e-6 * PoundForceN / (InchM * InchM))],
        ["Pa"] = [new("micron", MicronPa), new("mbar", 100)],
        ["W"] = [new("kW", 1000)],
        ["A"] = [new("mA", 0.001)],
        ["L"] = [new("ml", 0.001), new("US gal", 3.785411784)],
        ["kg"] = [new("g", 0.001), new("lb", PoundKg)],
        ["N·m"] = [new("ft·lb", 12 * InchM * PoundForceN), new("in·lb", InchM * PoundForceN)],
        ["Mohm"] = [new("GΩ", 1000), new("kΩ", 0.001)],
        ["ohm"] = [new("mΩ", 0.001)],
    };

    /// <summary>A unit of the library as people write it, and the others of its kind.</summary>
    public static IReadOnlyList<GateUnit> Of(string unit) =>
        [new(Said(unit), 1), .. Others.GetValueOrDefault(unit, [])];

    /// <summary>As people write it.</summary>
    public static string Said(string unit) => unit switch { "degC" => "°C", "Mohm" => "MΩ", "ohm" => "Ω", "count" => "", _ => unit };
}

/// <summary>Looks at the gates of a step.</summary>
public static class GateEvaluator
{
    /// <summary>A reason has at least so many characters.</summary>
    public const int ReasonLength = 10;

    /// <summary>Every item of a step's start and finish that applies to the job.</summary>
    public static IReadOnlyList<GateRow> Rows(LibraryTask task, FoldedStep step, GateFacts facts) =>
    [
        .. task.Gate.Start.Where(g => Applies(g, facts)).Select(g => Row(g, true, step, facts)),
        .. task.Gate.Finish.Where(g => Applies(g, facts)).Select(g => Row(g, false, step, facts)),
    ];

    /// <summary>Keys of the items that stand open before the start, or before the end.</summary>
    public static IReadOnlyList<string> Open(LibraryTask task, FoldedStep step, bool start, GateFacts facts) =>
        [.. (start ? task.Gate.Start : task.Gate.Finish).Where(g => Applies(g, facts) && Row(g, start, step, facts) is { Passed: false, Passing: false })
            .Select(g => g.Key)];

    private static bool Applies(GateItem item, GateFacts facts) => TaskLibrary.Standard.Holds(item.When, facts.Tags);

    private static GateRow Row(GateItem g, bool start, FoldedStep step, GateFacts facts)
    {
        var (min, max) = g.Field is { } field && facts.Limits.TryGetValue(field, out var known) ? (known.Min ?? g.Min, known.Max ?? g.Max) : (g.Min, g.Max);
        var reading = g.Field is { } f ? step.Readings.GetValueOrDefault(f) : null;
        var passed = g.Kind switch
        {
            "tick" => step.Ticks.Contains(g.Text!),
            "photo" => step.Photos.ContainsKey(g.Slot!),
            "value" => reading?.Value is { } v && double.IsFinite(v) && !(v < min) && !(v > max),
            "result" => reading?.Text == g.Passes,
            _ => !facts.Stops.Contains(g.Station!.ToLowerInvariant()),
        };
        // What is never passed over is not passed over by an event that says so.
        var passing = g.Override != "never" && step.Overrides.Any(o => o.Item == g.Key && o.Reason.Length >= ReasonLength
            && (g.Override != "second" || o.Second.Length > 0 && o.Second != o.By));
        var words = g.Kind switch
        {
            "tick" => g.Text!,
            "photo" => $"a photograph: {Said(g.Slot!)}",
            "result" => $"{Said(g.Field!)} passed",
            "no-stop" => $"no stop is open at {g.Station}",
            _ => Said(g.Field!),
        };
        return new GateRow(g.Key, g.Kind, char.ToUpperInvariant(words[0]) + words[1..], GateUnit.Said(g.Unit ?? ""), min, max, g.Passes ?? "", g.Override,
            start, passed,
            reading is null ? "" : reading.Text.Length > 0 ? reading.Text : FormattableString.Invariant($"{reading.Value:0.####}"), passing,
            g.Kind == "value" ? GateUnit.Of(g.Unit ?? "") : []);
    }

    private static string Said(string slug) => slug.Replace('-', ' ');
}

/// <summary>What to do while something runs.</summary>
public static class UseTheWait
{
    /// <summary>A step begun in a wait ends so long before it, min; the product's own choice.</summary>
    private const double Before = 3;

    /// <summary>A step that can be done now.</summary>
    public sealed record Candidate(string Step, double LikelyMin, bool Pausable);

    /// <summary>From so many minutes left on, this step; empty is rest, drink, look at the supply.</summary>
    public sealed record Choice(double FromMin, string Step);

    /// <summary>The step for so many minutes; empty where none fits.</summary>
    /// <param name="leftMin">Of the wait.</param>
    /// <param name="candidates">That can be done, in the order of the plan.</param>
    public static string Pick(double leftMin, IReadOnlyList<Candidate> candidates) =>
        candidates.FirstOrDefault(c => c.LikelyMin <= leftMin - Before)?.Step ?? candidates.FirstOrDefault(c => c.Pausable)?.Step ?? "";

    /// <summary>The same for every number of minutes: the last choice whose number is not above what is left.</summary>
    public static IReadOnlyList<Choice> Table(IReadOnlyList<Candidate> candidates)
    {
        var from = candidates.Select(c => c.LikelyMin + Before).Prepend(0).Distinct().Order().ToList();
        return [.. from.Select(m => new Choice(m, Pick(m, candidates)))];
    }
}
