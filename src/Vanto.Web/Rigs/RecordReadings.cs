using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Web.Rigs;

/// <summary>Reads the readings of a start-up as they were typed.</summary>
public static class RecordReadings
{
    /// <summary>Their kind in the log.</summary>
    public const string Kind = "start-up";

    /// <summary>Fields of a start-up record.</summary>
    public static IReadOnlyList<FieldInfo> Fields { get; } = FieldCatalogue.Of(typeof(StartUpReadings), new StartUpReadings(), JobFile.Json);

    /// <summary>The readings; those not typed are the corrected record's, those typed empty are none.</summary>
    /// <exception cref="InputException">No reading of that name, no quantity, out of range, or none at all.</exception>
    public static StartUpReadings Of(NewRecord typed, StartUpReadings? corrected)
    {
        var node = corrected is null ? [] : (JsonObject)JsonSerializer.SerializeToNode(corrected, JobFile.Json)!;
        var errors = new List<InputError>();
        foreach (var (name, text) in typed.Readings)
        {
            var field = Fields.FirstOrDefault(f => f.Path == "/" + name);
            if (field is null)
                errors.Add(InputError.Fault(name, text ?? "", $"\"{name}\" is no reading of a start-up; there are {string.Join(", ", Fields.Select(f => f.Path[1..]))}."));
            else if (string.IsNullOrWhiteSpace(text))
                node.Remove(name);
            else
                try
                {
                    node[name] = TypedFields.Parse(field, name, text, typed.Units, typed.DecimalComma);
                }
                catch (InputException e)
                {
                    errors.AddRange(e.Errors);
                }
        }
        if (errors.Count > 0)
            throw new InputException(errors);
        return node.All(n => n.Value is null) ? throw new InputException("readings", "", "Write down at least one reading.") : node.Deserialize<StartUpReadings>(JobFile.Json)!;
    }
}
