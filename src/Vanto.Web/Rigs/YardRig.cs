using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Storage;

namespace Vanto.Web.Rigs;

/// <summary>What the yard says of a rig that has been worked out.</summary>
/// <param name="Stage">The last station that stands.</param>
/// <param name="Split">True where its unit has an outdoor part of its own.</param>
/// <param name="States">State of each station.</param>
/// <param name="Worst">Its worst finding.</param>
public sealed record YardLine(string Stage, bool Split, IReadOnlyDictionary<string, StationState> States, Finding? Worst)
{
    /// <summary>Of a rig's results.</summary>
    public static YardLine Of(JobDesign design, JobAssessment assessment) => new(
        assessment.States.LastOrDefault(s => s.Value is StationState.Passed or StationState.Caution).Key ?? assessment.States.First().Key,
        assessment.Unit?.Unit.Kind is AcKind.MiniSplitInverter or AcKind.DcNativeSplit or AcKind.PvAssistedSplit or AcKind.RailingPortable,
        assessment.States, assessment.Worst);
}

/// <summary>A rig in the yard; while it is pending its stage, states and worst finding are not worked out yet.</summary>
public sealed record YardRig
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required int Revision { get; init; }

    public required DateTimeOffset SavedAt { get; init; }

    public required string NextDate { get; init; }

    public required string Stage { get; init; }

    /// <summary>What it is drawn from; none where the rig cannot be read.</summary>
    public required SurveyDesign? Survey { get; init; }

    public required bool Split { get; init; }

    public required IReadOnlyDictionary<string, StationState> States { get; init; }

    public required Finding? Worst { get; init; }

    public required bool Pending { get; init; }

    /// <summary>Why it cannot be read; empty where it can. It can be saved as it lies, and removed.</summary>
    public required string Fault { get; init; }

    private static readonly Dictionary<string, StationState> NoStates = [];

    /// <summary>A rig that can be read; without a line it is pending.</summary>
    public static YardRig Of(StoredRig stored, JobGlance glance, YardLine? line) => new YardRig
    {
        Id = stored.Id,
        Name = glance.Name,
        Revision = stored.Revision,
        SavedAt = stored.At,
        NextDate = glance.NextDate,
        Stage = line?.Stage ?? "",
        Survey = glance.Survey,
        Split = line?.Split ?? false,
        States = line?.States ?? NoStates,
        Worst = line?.Worst,
        Pending = line is null,
        Fault = "",
    };

    /// <summary>A rig that cannot.</summary>
    public static YardRig Unreadable(StoredRig stored, string fault) => new YardRig
    {
        Id = stored.Id,
        Name = NameIn(stored),
        Revision = stored.Revision,
        SavedAt = stored.At,
        NextDate = "",
        Stage = "",
        Survey = null,
        Split = false,
        States = NoStates,
        Worst = null,
        Pending = false,
        Fault = fault,
    };

    /// <summary>The name that its text gives it, where that much can be read.</summary>
    private static string NameIn(StoredRig stored)
    {
        try
        {
            using var text = JsonDocument.Parse(stored.Design);
            if (text.RootElement.ValueKind == JsonValueKind.Object && text.RootElement.TryGetProperty("name", out var name)
                && name.GetString() is { Length: > 0 } called)
                return called;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            // Not even its name can be read.
        }
        return $"rig of {stored.At:yyyy-MM-dd HH:mm}";
    }
}
