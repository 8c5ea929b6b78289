using Vanto.Core.Findings;

namespace Vanto.Core.Exchange;

/// <summary>A record as far as putting two logs together goes.</summary>
/// <param name="Content">All that it says; two of one id must say the same.</param>
/// <param name="Stamp">Where in whose log it was written; nothing for what was written before laptops said so.</param>
public sealed record LogEntry(Guid Id, DateTimeOffset At, Guid? Corrects, string By, string Kind, string Content, EventStamp? Stamp = null);

/// <summary>Two logs put together.</summary>
/// <param name="Entries">All, in their order.</param>
/// <param name="Fresh">That the first log did not have, in their order.</param>
/// <param name="Altered">Of the second log, that say something else than what the first has under the same id: kept out, and told.</param>
public sealed record MergedLog(IReadOnlyList<LogEntry> Entries, IReadOnlyList<LogEntry> Fresh, IReadOnlyList<LogEntry> Altered);

/// <summary>Records of one laptop that a log does not have though it has later ones: that laptop, or one that met it, was not brought.</summary>
/// <param name="Device">The laptop.</param>
/// <param name="Numbers">Of its records in this log.</param>
public sealed record MissingEvents(string Device, IReadOnlyList<long> Numbers);

/// <summary>
/// Puts the logs of two laptops together: all that either has, once, in an order that does not depend on who reads whose file. Common practice, no
/// published source.
/// </summary>
public static class LogMerge
{
    /// <summary>Puts them together.</summary>
    public static MergedLog Of(IReadOnlyList<LogEntry> ours, IReadOnlyList<LogEntry> theirs)
    {
        var known = ours.ToDictionary(e => e.Id);
        var altered = theirs.Where(t => known.TryGetValue(t.Id, out var own) && own with { Stamp = t.Stamp } != t).ToList();
        var all = Ordered([.. ours, .. theirs.Where(t => !known.ContainsKey(t.Id)).DistinctBy(t => t.Id)]);
        return new MergedLog(all, [.. all.Where(e => !known.ContainsKey(e.Id))], altered);
    }

    /// <summary>Where an entry stands among all; what carries no stamp stands by its moment.</summary>
    private readonly record struct Place(HybridTime Time, string Device, long Seq) : IComparable<Place>
    {
        public static Place Of(LogEntry e) => e.Stamp is { } s ? new Place(s.Time, s.Device, s.Seq)
            : new Place(new HybridTime(e.At.ToUnixTimeMilliseconds(), 0), "", e.At.UtcTicks);

        public int CompareTo(Place other)
        {
            var byTime = Time.CompareTo(other.Time);
            var byDevice = byTime != 0 ? byTime : string.CompareOrdinal(Device, other.Device);
            return byDevice != 0 ? byDevice : Seq.CompareTo(other.Seq);
        }
    }

    /// <summary>By their stamps or moments, then by their ids; a correction never before what it corrects, whatever its clock said.</summary>
    /// <exception cref="InputException">Some correct each other in a circle.</exception>
    public static IReadOnlyList<LogEntry> Ordered(IReadOnlyList<LogEntry> entries)
    {
        var byId = entries.DistinctBy(e => e.Id).ToDictionary(e => e.Id);
        var keys = new Dictionary<Guid, (Place At, int Depth)>(byId.Count);
        var chain = new Stack<LogEntry>();
        foreach (var entry in byId.Values)
        {
            // Down to what is known or corrects nothing that is here, and up again.
            for (var e = entry; !keys.ContainsKey(e.Id);)
            {
                chain.Push(e);
                if (chain.Count > byId.Count)
                    throw new InputException("corrects", entry.Id.ToString(), "Records of this log correct each other in a circle.");
                if (e.Corrects is not { } id || !byId.TryGetValue(id, out var corrected))
                    break;
                e = corrected;
            }
            while (chain.TryPop(out var e))
            {
                var own = Place.Of(e);
                keys[e.Id] = e.Corrects is { } id && keys.TryGetValue(id, out var before)
                    ? (own.CompareTo(before.At) > 0 ? own : before.At, before.Depth + 1) : (own, 0);
            }
        }
        return [.. byId.Values.OrderBy(e => keys[e.Id].At).ThenBy(e => keys[e.Id].Depth).ThenBy(e => e.Id)];
    }

    /// <summary>Numbers that are missing between the first and the last of each laptop.</summary>
    public static IReadOnlyList<MissingEvents> Missing(IEnumerable<EventStamp> stamps) =>
        [.. from stamp in stamps
            group stamp.Seq by stamp.Device into device
            let had = device.ToHashSet()
            let gaps = Numbers(had.Max()).Where(n => !had.Contains(n)).Take(MostNamed).ToList()
            where gaps.Count > 0
            orderby device.Key
            select new MissingEvents(device.Key, gaps)];

    /// <summary>So many of a laptop are named at most.</summary>
    private const int MostNamed = 100;

    private static IEnumerable<long> Numbers(long last)
    {
        for (var n = 1L; n <= last; n++)
            yield return n;
    }
}
