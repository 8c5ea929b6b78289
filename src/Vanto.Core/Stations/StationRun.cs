using System.Text.Json.Serialization;
using Vanto.Core.Findings;

namespace Vanto.Core.Stations;

/// <summary>A station that could not be worked out, and why.</summary>
/// <param name="Station">Its name.</param>
/// <param name="Verdict">What is said in its place.</param>
/// <param name="Errors">Fields at fault; empty where the station waits for another or where the fault is Vanto's own.</param>
public sealed record StationFault(string Station, Verdict Verdict, IReadOnlyList<InputError> Errors)
{
    /// <summary>Name of a fault of Vanto's own, the same for the same cause; the log has the whole story under it. Empty for bad input.</summary>
    public string Id { get; init; } = "";

    /// <summary>What was thrown, for the log.</summary>
    [JsonIgnore]
    public Exception? Cause { get; init; }
}

/// <summary>Runs stations one after another: whatever one throws becomes a fault of that station alone, and those that need it wait.</summary>
public sealed class StationRun
{
    private readonly List<StationFault> _faults = [];

    /// <summary>Stations that have no result.</summary>
    public IReadOnlyList<StationFault> Faults => _faults;

    /// <summary>State of a station that has no result.</summary>
    public StationState StateOf(string station) => _faults.First(f => f.Station == station).Verdict.State;

    /// <summary>The station's result, all numbers in it finite; null where it has none.</summary>
    /// <param name="station">Its name.</param>
    /// <param name="missing">The station whose result it waits for; null where it has all.</param>
    /// <param name="assess">Works it out.</param>
    public T? Try<T>(string station, string? missing, Func<T> assess) where T : class
    {
        if (missing is not null)
        {
            // One that waits itself hands on the reason it waits for.
            var cause = _faults.First(f => f.Station == missing).Verdict;
            var why = cause.State == StationState.Resting ? cause.Detail : cause.Headline;
            _faults.Add(new StationFault(station, Verdict.WaitsFor(char.ToUpperInvariant(missing[0]) + missing[1..], why), []));
            return null;
        }
        try
        {
            var result = assess();
            return Finite.FirstFault(result) is { } path ? throw new NotFiniteNumberException($"{station}.{path} is not a finite number") : result;
        }
        catch (Exception e)
        {
            _faults.Add(Refused(e) is { } input ? Refusal(station, input) : Own(station, e));
            return null;
        }
    }

    /// <summary>The bad input behind an exception, also where several threads met it at once.</summary>
    private static InputException? Refused(Exception e) => e switch
    {
        InputException input => input,
        AggregateException several when several.Flatten().InnerExceptions.All(i => i is InputException) => (InputException)several.Flatten().InnerExceptions[0],
        _ => null,
    };

    private static StationFault Refusal(string station, InputException e) =>
        new(station, new Verdict(StationState.Stop, e.Errors[0].Words ?? Phrase.Of($"{e.Errors[0].Reason}"), Phrase.Of($"Change it and the rest follows.")),
            e.Errors);

    private static StationFault Own(string station, Exception e)
    {
        var id = $"{station}-{Mark(e)}";
        return new StationFault(station, new Verdict(StationState.Stop,
            Phrase.Of($"{char.ToUpperInvariant(station[0]) + station[1..]} could not be worked out from these values."),
            Phrase.Of(
                $"The fault is Vanto's own; its log names it {id}. What was typed is kept: undo the last change, or change it, and this station comes back.")),
            [])
        { Id = id, Cause = e };
    }

    /// <summary>Six hexadecimal digits of where and what was thrown (FNV-1a, 32 bits).</summary>
    private static string Mark(Exception e)
    {
        var inner = e is AggregateException several ? several.Flatten().InnerExceptions[0] : e;
        var where = inner.StackTrace?.Split('\n').FirstOrDefault()?.Split(" in ")[0];
        var hash = 2166136261u;
        foreach (var c in $"{inner.GetType().Name}{where}")
            hash = (hash ^ c) * 16777619;
        return (hash & 0xFFFFFF).ToString("x6", System.Globalization.CultureInfo.InvariantCulture);
    }
}
