using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;

namespace Vanto.Web;

/// <summary>A rig with all its results.</summary>
public sealed record RigView(Guid Id, int Revision, DateTimeOffset SavedAt, JobDesign Design, JobAssessment Assessment, IReadOnlyList<StationRecord> Records);

/// <summary>Begins a rig: of a kind, as a copy of another, or from the three answers of a quote.</summary>
public sealed record NewRig(string Name, RigKind Kind = RigKind.Van, Guid? CopyOf = null, CalculationRequest? Quick = null);

/// <summary>One field changed: typed text with its unit, or a value as it is.</summary>
public sealed record FieldChange(string Path, string? Text = null, JsonNode? Value = null);

/// <summary>Changes of one tab, based on the revision it has seen.</summary>
public sealed record RigPatch(int BaseRevision, IReadOnlyList<FieldChange?> Changes, string Client = "", UnitSystem Units = UnitSystem.Metric,
    bool DecimalComma = false, string? Label = null);

/// <summary>What a patch came to; stations that did not change are null and not named in <see cref="Changed"/>.</summary>
public sealed record RigChanged(int Revision, DateTimeOffset SavedAt, JobDesign Design, bool Merged, IReadOnlyList<string> Changed, JobAssessment Assessment);

/// <summary>Two tabs changed the same field: what this tab wanted and what stands there now.</summary>
public sealed record ConflictView(int Revision, IReadOnlyList<ConflictField> Fields, JobDesign Design);

public sealed record ConflictField(string Path, string Label, JsonNode? Mine, JsonNode? Theirs);

/// <summary>What is to be recorded, as typed.</summary>
/// <param name="Kind">Kind of the record.</param>
/// <param name="By">Who writes it.</param>
/// <param name="Values">Text by the name of its field.</param>
/// <param name="Units">Units of what is typed without one.</param>
/// <param name="DecimalComma">True where a comma begins the decimals.</param>
/// <param name="Corrects">The record it corrects.</param>
public sealed record NewRecord(
    string Kind, string By, IReadOnlyDictionary<string, string?> Values, UnitSystem Units = UnitSystem.Metric, bool DecimalComma = false,
    Guid? Corrects = null);

/// <summary>A revision to return to.</summary>
public sealed record RestoreRequest(int Revision, string Client = "");

/// <summary>A calculation to run: inputs in SI; those typed with their units under <see cref="Typed"/> win.</summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record CalculationRequest(JsonObject Inputs, IReadOnlyDictionary<string, string?>? Typed = null, UnitSystem Units = UnitSystem.Metric,
    bool DecimalComma = false);
