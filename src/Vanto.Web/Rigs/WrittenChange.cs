using System.Text.Json;
using Vanto.Core.Job;

namespace Vanto.Web.Rigs;

/// <summary>
/// The answer to a patch, as a <see cref="RigChanged"/> is written; the stations go out as they were written for the comparison
/// with the revision before, not a second time.
/// </summary>
public sealed class WrittenChange(RigChanged change, KeptAssessment kept) : IResult
{
    private static readonly JsonEncodedText Assessment = JsonEncodedText.Encode("assessment");

    /// <inheritdoc />
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        httpContext.Response.ContentType = "application/json; charset=utf-8";
        await using var writer = new Utf8JsonWriter(httpContext.Response.BodyWriter);
        writer.WriteStartObject();
        Part("revision", change.Revision);
        Part("savedAt", change.SavedAt);
        Part("design", change.Design);
        Part("merged", change.Merged);
        Part("changed", change.Changed);
        writer.WritePropertyName(Assessment);
        writer.WriteStartObject();
        foreach (var station in kept.Assessment.States.Keys)
        {
            writer.WritePropertyName(station);
            if (change.Changed.Contains(station))
                writer.WriteRawValue(kept.Station(station), skipInputValidation: true);
            else
                writer.WriteNullValue();
        }
        Part("faults", kept.Assessment.Faults);
        Part("ledger", kept.Assessment.Ledger);
        Part("states", kept.Assessment.States);
        Part("worst", kept.Assessment.Worst);
        writer.WriteEndObject();
        writer.WriteEndObject();

        void Part<T>(string name, T value)
        {
            writer.WritePropertyName(name);
            JsonSerializer.Serialize(writer, value, JobFile.Json);
        }
    }
}
