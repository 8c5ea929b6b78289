using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Job;

/// <summary>Runs the stations in order, each a pure function of what it says it reads.</summary>
public static class Assessor
{
    /// <summary>Assesses a whole design with the records of its start-ups.</summary>
    /// <param name="design">The design.</param>
    /// <param name="records">The rig's log.</param>
    /// <param name="before">An assessment of the same rig: stations that read nothing that changed since are taken from it.</param>
    /// <param name="registry">The stations; Vanto's own where none are given.</param>
    public static JobAssessment Assess(
        JobDesign design, IReadOnlyList<StationRecord>? records = null, JobAssessment? before = null, StationRegistry? registry = null)
    {
        var stations = registry ?? StationRegistry.Standard;
        var parts = design.Parts();
        var log = records ?? [];
        var job = new StationInputs(parts, log);
        var run = new StationRun();
        var same = before is null ? [] : Unchanged(parts, log, before, stations);
        var allSame = true;
        var results = new Dictionary<string, IStationResult>();
        var ledger = new List<LedgerEntry>();
        foreach (var station in stations.All)
        {
            var kept = same.IsSupersetOf(station.Reads) && (allSame || !station.ReadsAllBefore) ? before!.Results.GetValueOrDefault(station.Name) : null;
            var missing = stations.Before(station).FirstOrDefault(s => !job.Has(s.Result));
            IReadOnlyList<LedgerEntry> entries = [];
            var result = run.Try(station.Name, missing?.Name, () =>
            {
                var own = kept ?? station.Assess(job);
                entries = [.. station.Ledger(job.With(station, own))];
                return own;
            });
            if (kept is not null)
                same.Add(station.Result);
            else
                allSame = false;
            if (result is null)
                continue;
            results[station.Name] = result;
            job = job.With(station, result);
            foreach (var entry in entries)
                if (ledger.FindIndex(e => e.Id == entry.Id) is >= 0 and var place)
                    ledger[place] = entry;
                else
                    ledger.Add(entry);
        }
        var states = stations.Names.ToDictionary(name => name, name => results.TryGetValue(name, out var result) ? result.Verdict.State : run.StateOf(name));
        // A station that reads the findings only says again what others found.
        var first = stations.All.Where(s => !s.ReadsAllBefore && results.ContainsKey(s.Name)).SelectMany(s => results[s.Name].Findings);
        var worst = first.Where(f => f.Level > Severity.Note).OrderByDescending(f => f.Level).FirstOrDefault();
        return new JobAssessment(run.Faults, [.. ledger.OrderBy(e => e.Sum)], states, worst) { Results = results, Parts = parts, Log = log };
    }

    /// <summary>Types of the parts, and of the records, that are as they were.</summary>
    private static HashSet<Type> Unchanged(
        IReadOnlyDictionary<Type, DesignPart> parts, IReadOnlyList<StationRecord> log, JobAssessment before, StationRegistry stations)
    {
        static IEnumerable<Guid> Ids(IReadOnlyList<StationRecord> records, RecordKind kind) => records.Where(kind.Record.IsInstanceOfType).Select(r => r.Id);
        return
        [
            .. parts.Where(p => before.Parts.TryGetValue(p.Key, out var old) && DesignDiff.Same(old, p.Value)).Select(p => p.Key),
            .. stations.RecordKinds.Where(k => Ids(log, k).SequenceEqual(Ids(before.Log, k))).Select(k => k.Record),
        ];
    }
}
