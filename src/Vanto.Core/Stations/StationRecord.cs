using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Stations;

/// <summary>One entry of a rig's log, which is only ever added to; a correction is a new entry that points at the old.</summary>
/// <param name="Id">Its id.</param>
/// <param name="At">When it was written, UTC.</param>
/// <param name="By">Who wrote it.</param>
/// <param name="Corrects">The record it corrects, or none.</param>
public abstract record StationRecord(Guid Id, DateTimeOffset At, string By, Guid? Corrects)
{
    /// <summary>What was written down, as it is kept.</summary>
    [JsonIgnore]
    public abstract DesignPart Values { get; }
}

/// <summary>What every record has beside its values.</summary>
public sealed record RecordHead(Guid Id, DateTimeOffset At, string By, Guid? Corrects);

/// <summary>A kind of record: its name in the store and on the wire, what can be written in it, and how it is read.</summary>
public abstract class RecordKind
{
    private IReadOnlyList<FieldInfo>? _fields;

    /// <summary>Its name in the store and on the wire.</summary>
    public abstract string Name { get; }

    /// <summary>What one value of it is called in a refusal.</summary>
    public abstract string ValueName { get; }

    public abstract Type Record { get; }

    public abstract Type Values { get; }

    /// <summary>Vanto writes it itself when something is issued; nobody types it.</summary>
    public bool Issued { get; init; }

    /// <summary>What can be written in it.</summary>
    public IReadOnlyList<FieldInfo> Fields => _fields ??= FieldCatalogue.Of(Values, Activator.CreateInstance(Values)!, DesignJson.Options);

    /// <summary>A record of these values.</summary>
    /// <param name="head">What it has beside them.</param>
    /// <param name="values">As <see cref="Write"/> writes them.</param>
    /// <exception cref="JsonException">They are not of this kind.</exception>
    public abstract StationRecord Read(RecordHead head, JsonNode values);

    /// <summary>What of a record's values could not have been typed: ranges, lengths, choices, days.</summary>
    public IReadOnlyList<InputError> Faults(StationRecord record)
    {
        var errors = FieldCatalogue.Check(record.Values).ToList();
        var values = Write(record);
        foreach (var day in Fields.Where(f => f.Input == "date"))
            if (values[day.Path[1..]]?.GetValue<string>() is { Length: > 0 } text && !DateOnly.TryParseExact(text, "yyyy-MM-dd", out _))
                errors.Add(InputError.Fault(day.Path[1..], text[..Math.Min(text.Length, 40)], $"{day.Label}: a day written year-month-day"));
        return errors;
    }

    /// <summary>The values of a record as they are kept.</summary>
    public JsonObject Write(StationRecord record) => (JsonObject)JsonSerializer.SerializeToNode(record.Values, Values, DesignJson.Options)!;
}

/// <summary>A kind of record with its types.</summary>
/// <param name="name">Its name in the store and on the wire.</param>
/// <param name="valueName">What one value of it is called in a refusal.</param>
/// <param name="of">Makes the record.</param>
public sealed class RecordKind<TRecord, TValues>(string name, string valueName, Func<RecordHead, TValues, TRecord> of) : RecordKind
    where TRecord : StationRecord where TValues : DesignPart
{
    /// <inheritdoc />
    public override string Name => name;

    /// <inheritdoc />
    public override string ValueName => valueName;

    /// <inheritdoc />
    public override Type Record => typeof(TRecord);

    /// <inheritdoc />
    public override Type Values => typeof(TValues);

    /// <inheritdoc />
    public override StationRecord Read(RecordHead head, JsonNode values) => of(head, values.Deserialize<TValues>(DesignJson.Options)!);
}
