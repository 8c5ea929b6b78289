using Vanto.Core.Commission;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Shop;

/// <summary>A verdict that an instrument's error may have made.</summary>
/// <param name="What">What was judged.</param>
/// <param name="Was">With the readings as they were taken.</param>
/// <param name="Becomes">With the readings as they should have been.</param>
public sealed record MovedVerdict(string What, string Was, string Becomes);

/// <summary>
/// An instrument came back from calibration with an error: what it read is read anew with that error taken out, and every verdict of the proof that
/// becomes another is named. Nothing is rewritten. Common practice, no published source.
/// </summary>
public static class CalibrationTrace
{
    /// <summary>Verdicts of the proof and the start-up that become others.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="records">Its log up to the paper.</param>
    /// <param name="type">Of the instrument.</param>
    /// <param name="offShare">Its error as found, share of the reading: what was less what it showed, over what it showed.</param>
    public static IReadOnlyList<MovedVerdict> Of(JobDesign design, IReadOnlyList<StationRecord> records, InstrumentType type, double offShare)
    {
        var (was, becomes) = (Verdicts(design, records), Verdicts(design, [.. records.Select(r => Reread(r, type, offShare))]));
        return [.. was.Where(w => becomes.TryGetValue(w.Key, out var now) && now != w.Value).Select(w => new MovedVerdict(w.Key, w.Value, becomes[w.Key]))];
    }

    /// <summary>A record as it would have been; itself where that instrument does not read it.</summary>
    public static StationRecord Reread(StationRecord record, InstrumentType type, double offShare)
    {
        double? Off(double? value) => value is { } v ? ShopBook.Reread(v, offShare) : null;
        return (record, type) switch
        {
            (VacuumRecord r, InstrumentType.VacuumGauge) => r with { Readings = r.Readings with { Value = Off(r.Readings.Value) } },
            (NitrogenRecord r, InstrumentType.PressureGauge) => r with { Readings = r.Readings with { GaugePa = Off(r.Readings.GaugePa) } },
            (ReleaseRecord r, InstrumentType.PressureGauge) => r with { Readings = r.Readings with { RestPa = Off(r.Readings.RestPa) } },
            (CommissionRecord r, InstrumentType.PressureGauge) => r with
            {
                Readings = r.Readings with { GasLinePa = Off(r.Readings.GasLinePa), LiquidLinePa = Off(r.Readings.LiquidLinePa) },
            },
            (CommissionRecord r, InstrumentType.ClampMeter) => r with
            {
                Readings = r.Readings with { RunA = Off(r.Readings.RunA), StartA = Off(r.Readings.StartA), FanA = Off(r.Readings.FanA) },
            },
            _ => record,
        };
    }

    private static Dictionary<string, string> Verdicts(JobDesign design, IReadOnlyList<StationRecord> records)
    {
        if (Assessor.Assess(design, records).Commission is not { } proof)
            return [];
        return proof.Proof.Select(p => (p.Name, State: Calls.Name(p.State))).Concat(proof.Rows.Select(r => (Name: r.Label, State: Calls.Name(r.Verdict))))
            .GroupBy(v => v.Name).ToDictionary(g => g.Key, g => g.First().State);
    }
}
