using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Stations;

namespace Vanto.Web.Rigs;

/// <summary>Reads a record as it was typed.</summary>
public static class TypedRecord
{
    /// <summary>The record; values not typed are the corrected record's, those typed empty are none.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="head">What it has beside its values.</param>
    /// <param name="typed">As typed.</param>
    /// <param name="corrected">The record it corrects.</param>
    /// <exception cref="InputException">No value of that name, no quantity, out of range, or none at all.</exception>
    public static StationRecord Of(RecordKind kind, RecordHead head, NewRecord typed, StationRecord? corrected)
    {
        var node = corrected is null ? [] : kind.Write(corrected);
        var errors = new List<InputError>();
        foreach (var (name, text) in typed.Values)
        {
            var field = kind.Fields.FirstOrDefault(f => f.Path == "/" + name);
            if (field is null)
                errors.Add(InputError.Fault(name, text ?? "",
                    $"\"{name}\" is no {kind.ValueName}; there are {string.Join(", ", kind.Fields.Select(f => f.Path[1..]))}."));
            else if (string.IsNullOrWhiteSpace(text))
                node.Remove(name);
            else
                try
                {
                    node[name] = field.Quantity is null ? Worded(field, name, text) : TypedFields.Parse(field, name, text, typed.Units, typed.DecimalComma);
                }
                catch (InputException e)
                {
                    errors.AddRange(e.Errors);
                }
        }
        if (errors.Count > 0)
            throw new InputException(errors);
        return node.All(n => n.Value is null) ? throw new InputException("values", "", $"Write down at least one {kind.ValueName}.") : kind.Read(head, node);
    }

    /// <summary>A choice, a switch or a text as it is kept.</summary>
    private static JsonNode Worded(FieldInfo field, string name, string text) => field.Input switch
    {
        "switch" => bool.TryParse(text, out var on) ? JsonValue.Create(on) : throw new InputException(name, text, $"{field.Label}: true or false; got {text}"),
        "date" when !DateOnly.TryParseExact(text.Trim(), "yyyy-MM-dd", out _) =>
            throw new InputException(name, text, $"{field.Label}: a day written year-month-day, such as 2027-03-02; got {text}"),
        "date" => JsonValue.Create(text.Trim()),
        "choice" when field.Choices.Count > 0 && field.Choices.All(c => c.Value != text) =>
            throw new InputException(name, text, $"{field.Label}: one of {string.Join(", ", field.Choices.Select(c => c.Value))}; got {text}"),
        _ when field.Most is { } most && text.Length > most => throw new InputException(name, text, $"{field.Label}: at most {most} characters"),
        _ => JsonValue.Create(text),
    };

    /// <summary>A record as it lies in the store.</summary>
    /// <exception cref="RigUnreadableException">It is damaged, or of a kind that this Vanto does not know.</exception>
    public static StationRecord Of(StationRegistry stations, Storage.RecordRow row)
    {
        var kind = stations.KindNamed(row.Kind)
            ?? throw new RigUnreadableException($"a record of its log is of the kind \"{row.Kind}\", which this Vanto does not know");
        try
        {
            return kind.Read(new RecordHead(row.Id, row.At, row.By, row.Corrects), JsonNode.Parse(row.Body)!);
        }
        catch (JsonException e)
        {
            throw new RigUnreadableException($"a record of its log is damaged ({e.Message})");
        }
    }

    /// <summary>A record as it is kept in the store.</summary>
    /// <param name="stamp">Of another laptop; without it the log of this one gives it one.</param>
    public static Storage.RecordRow Row(RecordKind kind, Guid rig, long order, StationRecord record, EventStamp? stamp = null) => new()
    {
        Id = record.Id,
        RigId = rig,
        Order = order,
        At = record.At,
        By = record.By,
        Kind = kind.Name,
        Body = Body(kind, record),
        Corrects = record.Corrects,
        Stamp = stamp,
    };

    /// <inheritdoc cref="Row(RecordKind, Guid, long, StationRecord, EventStamp)"/>
    public static Storage.RecordRow Row(StationRegistry stations, Guid rig, long order, StationRecord record, EventStamp? stamp = null) =>
        Row(stations.KindOf(record), rig, order, record, stamp);

    /// <summary>A record as far as putting two logs together goes.</summary>
    public static LogEntry Entry(RecordKind kind, StationRecord record, EventStamp? stamp) =>
        new(record.Id, record.At, record.Corrects, record.By, kind.Name, Body(kind, record), stamp);

    private static string Body(RecordKind kind, StationRecord record) => kind.Write(record).ToJsonString(JobFile.Json);
}
