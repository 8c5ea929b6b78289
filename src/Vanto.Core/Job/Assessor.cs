using Vanto.Core.Commission;
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
    public static JobAssessment Assess(JobDesign design, IReadOnlyList<CommissionRecord>? records = null, JobAssessment? before = null, StationRegistry? registry = null)
    {
        var stations = registry ?? StationRegistry.Standard;
        var parts = design.Parts();
        IReadOnlyList<IStationRecord> log = records ?? [];
        var job = new StationInputs(parts, log);
        var run = new StationRun();
        var same = before is null ? [] : Unchanged(parts, before.Parts);
        var sameLog = before is not null && before.Log.Select(r => r.Id).SequenceEqual(log.Select(r => r.Id));
        var sameFindings = true;
        var results = new Dictionary<string, IStationResult>();
        var ledger = new List<LedgerEntry>();
        foreach (var station in stations.All)
        {
            var kept = same.IsSupersetOf(station.Reads) && (sameLog || !station.ReadsRecords) && (sameFindings || !station.ReadsFindings)
                ? before!.Results.GetValueOrDefault(station.Name)
                : null;
            var missing = station.Reads.FirstOrDefault(r => stations.NameOf(r) is not null && !job.Has(r));
            var result = kept ?? run.Try(station.Name, missing is null ? null : stations.NameOf(missing), () => station.Assess(job));
            if (kept is not null)
                same.Add(station.Result);
            else
                sameFindings = false;
            if (result is null)
                continue;
            results[station.Name] = result;
            job.Add(station.Result, result);
            foreach (var entry in station.Ledger(job))
                if (ledger.FindIndex(e => e.Id == entry.Id) is >= 0 and var place)
                    ledger[place] = entry;
                else
                    ledger.Add(entry);
        }
        var states = stations.Names.ToDictionary(name => name, name => results.TryGetValue(name, out var result) ? result.Verdict.State : run.StateOf(name));
        // A station that reads the findings only says again what others found.
        var first = stations.All.Where(s => !s.ReadsFindings && results.ContainsKey(s.Name)).SelectMany(s => results[s.Name].Findings);
        var worst = first.Where(f => f.Level > Severity.Note).OrderByDescending(f => f.Level).FirstOrDefault();
        return new JobAssessment(run.Faults, [.. ledger.OrderBy(e => e.Sum)], states, worst) { Results = results, Parts = parts, Log = log };
    }

    /// <summary>Types of the parts that are as they were.</summary>
    private static HashSet<Type> Unchanged(IReadOnlyDictionary<Type, DesignPart> now, IReadOnlyDictionary<Type, DesignPart> before) =>
        [.. now.Where(p => before.TryGetValue(p.Key, out var old) && DesignDiff.Same(old, p.Value)).Select(p => p.Key)];
}
