using System.Collections.Concurrent;
using System.Text.Json;
using Vanto.Core.Commission;
using Vanto.Core.Job;

namespace Vanto.Web.Rigs;

/// <summary>An assessment with each station's part as it is written, for telling what changed.</summary>
public sealed class KeptAssessment(JobAssessment assessment)
{
    private readonly ConcurrentDictionary<string, byte[]> _written = new();

    /// <summary>The results.</summary>
    public JobAssessment Assessment { get; } = assessment;

    /// <summary>The part of one station as JSON.</summary>
    public byte[] Station(string name) => _written.GetOrAdd(name, n => n switch
    {
        "survey" => Written(Assessment.Survey),
        "load" => Written(Assessment.Load),
        "unit" => Written(Assessment.Unit),
        "start" => Written(Assessment.Start),
        "energy" => Written(Assessment.Energy),
        "commission" => Written(Assessment.Commission),
        "handover" => Written(Assessment.Handover),
        _ => throw new ArgumentOutOfRangeException(nameof(name), name, "there is no such station"),
    });

    private static byte[] Written<T>(T part) => JsonSerializer.SerializeToUtf8Bytes(part, JobFile.Json);
}

/// <summary>
/// The newest assessments of the rigs last looked at, and what the yard says of every rig; both bounded, so that memory does not grow with
/// what was opened once.
/// </summary>
public sealed class AssessmentCache(ILogger<AssessmentCache> log)
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
    public KeptAssessment WorkOut(Guid rig, JobDesign design, IReadOnlyList<CommissionRecord> records)
    {
        var kept = new KeptAssessment(Assessor.Assess(design, records));
        foreach (var fault in kept.Assessment.Faults.Where(f => f.Id.Length > 0))
            log.LogError(fault.Cause, "{Fault}: {Station} of rig {Rig} could not be worked out", fault.Id, fault.Station, rig);
        foreach (var station in Assessor.Stations)
            kept.Station(station); // written before anything is stored: what cannot be answered is not kept
        return kept;
    }

    /// <summary>The assessment of a revision, from memory or worked out.</summary>
    public KeptAssessment Of(Guid rig, int revision, JobDesign design, IReadOnlyList<CommissionRecord> records)
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
