using System.Text.Json;
using Vanto.Core.Exchange;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Stations;
using Vanto.Documents;
using Vanto.Web.Rigs;

namespace Vanto.Web.Exchange;

/// <summary>A record of another laptop, and where in whose log it was written.</summary>
public sealed record SentRecord(StationRecord Record, EventStamp? Stamp)
{
    /// <summary>Years that a laptop's clock may show; beyond them it is no moment that anything was written at. The product's own choice.</summary>
    private const int FirstYear = 2000, LastYear = 2100;

    /// <summary>Whether something can have been written then.</summary>
    public static bool IsMoment(DateTimeOffset at) => at.UtcDateTime.Year is >= FirstYear and < LastYear;

    /// <summary>A record of a file, checked as what is typed is: its kind, its fields, their ranges and lengths, its days, and who wrote it when.</summary>
    /// <param name="r">As it lies in the file.</param>
    /// <param name="kindNamed">Kinds that this log may hold.</param>
    /// <exception cref="InputException">Something of it could not have been typed; the field is named.</exception>
    public static SentRecord Of(BundledRecord r, Func<string, RecordKind?> kindNamed)
    {
        var kind = kindNamed(r.Kind)
            ?? throw new InputException("kind", Short(r.Kind), $"A record of this file is of the kind \"{Short(r.Kind)}\", which is none of this log.");
        if (r.By.Trim().Length is 0 or > RigDesk.LongestName)
            throw new InputException("by", Short(r.By), $"A record of this file ({r.Id}) has no name of 1 to {RigDesk.LongestName} letters under it.");
        if (!IsMoment(r.At) || r.Id == Guid.Empty)
            throw new InputException("at", $"{r.At:O}", $"A record of this file ({r.Id}) was written at no moment that a clock shows.");
        var stamp = EventStamp.Parse(r.Stamp);
        if (r.Stamp is not null && stamp is null)
            throw new InputException("stamp", Short(r.Stamp), $"A record of this file ({r.Id}) does not say in whose log it was written.");
        try
        {
            var record = kind.Read(new RecordHead(r.Id, r.At, r.By, r.Corrects), r.Values);
            var faults = kind.Faults(record);
            return faults.Count == 0 ? new SentRecord(record, stamp) : throw new InputException(faults);
        }
        catch (JsonException e)
        {
            throw new InputException(JobFile.Fault(e));
        }
    }

    private static string Short(string text) => text.Length <= 60 ? text : text[..60] + "…";
}

/// <summary>The store failed while a file was read in, after some of it was kept.</summary>
/// <param name="rigs">That are in.</param>
/// <param name="why">What ended it.</param>
public sealed class PartlyTakenException(IReadOnlyList<string> rigs, Exception why) : Exception(why.Message, why)
{
    /// <summary>What is in, and what to do.</summary>
    public string Words => $"Read in before that: {string.Join(", ", rigs)}. Nothing else was changed; read the file in again: what is in stays as it is.";
}
