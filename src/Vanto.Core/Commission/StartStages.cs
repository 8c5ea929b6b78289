using Vanto.Core.Findings;

namespace Vanto.Core.Commission;

/// <summary>One stage of the first start, with what it asks and what lets the next begin.</summary>
/// <param name="Name">What is switched on.</param>
/// <param name="DwellMin">How long it stands before the next.</param>
/// <param name="Words">What it asks of the source, what was read, or what bars it.</param>
public sealed record StartStage(string Name, double DwellMin, StationState State, Phrase Words);

/// <summary>The first start in stages, each a gate for the next: source, fan alone, little demand, full demand, all zones. Common practice.</summary>
public static class StartStages
{
    public const double SagCaution = 0.10, SagStop = 0.20;
    private const double NominalShare = 0.10;
    private const double FanMin = 2, LittleMin = 5, FullMin = 15, ZoneMin = 10;

    /// <summary>Ohms of the source seen from a light load: (V₀ − V₁)/I₁; nothing where the volts did not fall.</summary>
    /// <remarks>Linear, so rough for inverters, which also limit their current.</remarks>
    public static double? SourceOhm(double restV, double loadedV, double amps) => restV > loadedV && amps > 0 ? (restV - loadedV) / amps : null;

    /// <summary>Volts at a start, and the share lost.</summary>
    public static (double Volts, double Sag) AtStart(double restV, double ohm, double startA) => (restV - ohm * startA, ohm * startA / restV);

    /// <summary>The stages of this job.</summary>
    public static IReadOnlyList<StartStage> Of(StartUpReadings r, StartUpFacts f)
    {
        var stages = new List<StartStage>();
        void Add(string name, double dwell, StationState state, Phrase words) => stages.Add(new StartStage(name, dwell, state, words));

        var nominal = f.Unit.IsDc ? f.Unit.SupplyVoltageV : StartUpTable.Nominal(f.Unit.SupplyVoltageV);
        if (r.RestV is not { } rest)
            Add("Source, nothing on", 0, StationState.Open, Phrase.Of($"Read the volts: {nominal:Voltage} within ±10 %."));
        else
            Add("Source, nothing on", 0, Math.Abs(rest / nominal - 1) <= NominalShare || f.Unit.IsDc ? StationState.Passed : StationState.Stop,
                Phrase.Of($"{rest:Voltage} at rest."));
        if (r is { RestV: { } v0, FanV: { } v1, FanA: { } i1 })
        {
            if (SourceOhm(v0, v1, i1) is { } ohm && f.Start.MaxA > 0)
            {
                var (volts, sag) = AtStart(v0, ohm, f.Start.MaxA);
                Add("Fan alone", FanMin, sag > SagStop ? StationState.Stop : sag > SagCaution ? StationState.Caution : StationState.Passed,
                    sag > SagStop
                        ? Phrase.Of($"The source gives way by {ohm:Number} Ω: a start of {f.Start.MaxA:Current} would pull it to {volts:Voltage}. "
                            + $"Soft starter or a larger source first.")
                        : Phrase.Of($"By {ohm:Number} Ω a start of {f.Start.MaxA:Current} leaves {volts:Voltage}, {sag:Fraction} less."));
            }
            else
                Add("Fan alone", FanMin, StationState.Passed, Phrase.Of($"The volts did not move: the source is stiff."));
        }
        else
            Add("Fan alone", FanMin, StationState.Open,
                Phrase.Of($"Two minutes; read volts and amperes: they show how far a start will pull the source down."));
        var little = f.Unit.SingleSpeed ? "Compressor" : "Compressor, least demand";
        if (r is { StartA: null, SagV: null, RunV: null })
            Add(little, LittleMin, StationState.Open, Phrase.Of(
                $"It may wait five minutes by itself. Fan high, set 1 to 2 degrees below the room. It asks {f.Start.MaxA:Current}; the source gives "
                    + $"{f.Start.LimitA:Current}."));
        else
            Add(little, LittleMin, r is { RestV: { } before, SagV: { } low } && 1 - low / before > SagStop ? StationState.Stop : StationState.Passed,
                Phrase.Of($"It started."));
        var (fullW, _) = StartUpTable.PredictedPower(r, f.Unit, f.Load);
        Add("Full demand", FullMin, r.RunW is null && r.RunA is null ? StationState.Open : StationState.Passed,
            r.RunW is { } watts ? Phrase.Of($"{watts:ElectricPower} of {fullW:ElectricPower} predicted.")
                : Phrase.Of($"Lowest set-point for a quarter of an hour: {fullW:ElectricPower} predicted. Then read everything."));
        if (f.Circuit.Heads > 1)
            Add("Each zone alone, then all", ZoneMin * f.Circuit.Heads, r.ZonesAlone is { } alone && alone >= f.Circuit.Heads && r.ZonesW is not null
                ? StationState.Passed : StationState.Open, Phrase.Of($"{r.ZonesAlone ?? 0:Count} of {f.Circuit.Heads:Count} ran alone."));
        return InOrder(stages);
    }

    /// <summary>A stage that was passed over unread keeps none back that was read; one that is open or stops keeps back those after it.</summary>
    private static List<StartStage> InOrder(List<StartStage> stages)
    {
        var read = stages.FindLastIndex(s => s.State != StationState.Open);
        var bar = stages.FindIndex(s => s.State == StationState.Stop);
        if (bar < 0 && (bar = stages.FindIndex(Math.Max(0, read), s => s.State == StationState.Open)) < 0)
            bar = stages.Count;
        return [.. stages.Select((s, i) => s.State != StationState.Open || i == bar ? s
            : i < read && bar > i ? s with { State = StationState.Resting, Words = Phrase.Of($"not read") }
            : s with { Words = Phrase.Of($"waits for what stands before it") })];
    }
}
