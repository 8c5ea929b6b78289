using System.Collections.Concurrent;
using System.Text.Json;
using Vanto.Core.Job;
using Vanto.Core.Stations;

namespace Vanto.Web.Rigs;

/// <summary>An assessment with each station's part as it is written, for telling what changed.</summary>
public sealed class KeptAssessment(JobAssessment assessment)
{
    private readonly ConcurrentDictionary<string, byte[]> _written = new();

    public JobAssessment Assessment { get; } = assessment;

    /// <summary>The part of one station as JSON; null as JSON where it has no result.</summary>
    public byte[] Station(string name) =>
        _written.GetOrAdd(name, n => JsonSerializer.SerializeToUtf8Bytes<object?>(Assessment.Results.GetValueOrDefault(n), JobFile.Json));

    /// <summary>True where a station says what it said before, or was not run again.</summary>
    public bool Says(string station, KeptAssessment before) =>
        Assessment.Results.GetValueOrDefault(station) is { } result && ReferenceEquals(result, before.Assessment.Results.GetValueOrDefault(station))
        || Station(station).AsSpan().SequenceEqual(before.Station(station));

    /// <summary>Takes what stations that were not run again have written already.</summary>
    public void TakeFrom(KeptAssessment before)
    {
        foreach (var (station, result) in Assessment.Results)
            if (ReferenceEquals(result, before.Assessment.Results.GetValueOrDefault(station)) && before._written.TryGetValue(station, out var written))
                _written[station] = written;
    }
}

/// <summary>
/// The newest assessments of the rigs last looked at, and what the yard says of every rig; both bounded, so that memory does not grow with
/// what was opened once.
/// </summary>
public sealed class AssessmentCache(StationRegistry stations, ILogger<AssessmentCache> log)
{
    /// <summary>Assessments kept, of all rigs together; each takes up to 0.3 MB.</summary>
    private const int MostKept = 48;

    /// <summary>Yard lines kept; each takes about 1 kB.</summary>
    private const int MostLines = 5000;

    private readonly Lock _gate = new();
    private readonly Dictionary<AssessmentKey, LinkedListNode<(AssessmentKey Key, KeptAssessment Kept)>> _byKey = [];
    private readonly LinkedList<(AssessmentKey Key, KeptAssessment Kept)> _newestFirst = [];
    private readonly Dictionary<Guid, (AssessmentKey Key, YardLine Line)> _lines = [];

    /// <summary>Works a design out, and writes what is Vanto's own fault into the log.</summary>
    /// <param name="rig">The rig.</param>
    /// <param name="design">Its design.</param>
    /// <param name="records">Its log.</param>
    /// <param name="before">What was known of it: stations that read nothing that changed are taken from it.</param>
    public KeptAssessment WorkOut(Guid rig, JobDesign design, IReadOnlyList<StationRecord> records, KeptAssessment? before = null)
    {
        var kept = new KeptAssessment(Assessor.Assess(design, records, before?.Assessment, stations));
        if (before is not null)
            kept.TakeFrom(before);
        foreach (var fault in kept.Assessment.Faults.Where(f => f.Id.Length > 0))
            log.LogError(fault.Cause, "{Fault}: {Station} of rig {Rig} could not be worked out", fault.Id, fault.Station, rig);
        foreach (var station in stations.Names)
            kept.Station(station); // written before anything is stored: what cannot be answered is not kept
        return kept;
    }

    /// <summary>The assessment of a revision, from memory or worked out.</summary>
    public KeptAssessment Of(Guid rig, int revision, JobDesign design, IReadOnlyList<StationRecord> records)
    {
        var key = new AssessmentKey(rig, revision, records.Count);
        lock (_gate)
            if (_byKey.TryGetValue(key, out var node))
            {
                _newestFirst.Remove(node);
                _newestFirst.AddFirst(node);
                return node.Value.Kept;
            }
        var kept = WorkOut(rig, design, records);
        Keep(key, design, kept);
        return kept;
    }

    /// <summary>Keeps what was worked out, once it has a revision.</summary>
    public void Keep(AssessmentKey key, JobDesign design, KeptAssessment kept)
    {
        lock (_gate)
        {
            if (_byKey.Remove(key, out var old))
                _newestFirst.Remove(old);
            _byKey[key] = _newestFirst.AddFirst((key, kept));
            while (_newestFirst.Count > MostKept)
            {
                _byKey.Remove(_newestFirst.Last!.Value.Key);
                _newestFirst.RemoveLast();
            }
            if (_lines.Count >= MostLines && !_lines.ContainsKey(key.Rig))
                _lines.Clear();
            _lines[key.Rig] = (key, YardLine.Of(design, kept.Assessment));
        }
    }

    /// <summary>What the yard says of a revision; null where it is not known.</summary>
    public YardLine? Line(AssessmentKey key)
    {
        lock (_gate)
            return _lines.TryGetValue(key.Rig, out var known) && known.Key == key ? known.Line : null;
    }

    /// <summary>Forgets a rig that was removed.</summary>
    public void Forget(Guid rig)
    {
        lock (_gate)
        {
            _lines.Remove(rig);
            foreach (var node in _byKey.Where(p => p.Key.Rig == rig).Select(p => p.Value).ToList())
            {
                _byKey.Remove(node.Value.Key);
                _newestFirst.Remove(node);
            }
        }
    }
}

/// <summary>Which results: of a rig at a revision with so many records.</summary>
public readonly record struct AssessmentKey(Guid Rig, int Revision, int Records);
