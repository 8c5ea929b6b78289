using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Install;
using Vanto.Core.Stations;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Handover;

/// <summary>Results that the guide is written from; a station that has none leaves its lines out.</summary>
public sealed record GuideFacts(SurveyDesign Survey, AcUnit Unit)
{
    public EnergyAssessment? Energy { get; init; }
    public WiringAssessment? Wiring { get; init; }
    public InstallAssessment? Install { get; init; }
    public PullDownView? PullDown { get; init; }
    public double ReserveSoc { get; init; }

    /// <summary>Held at night.</summary>
    public double SetpointC { get; init; }
}

/// <summary>What the owner needs to know beside what each station prints: the way down, day by day, before driving, what is still to do.</summary>
public static class OwnersGuide
{
    private const double PreCoolStepMin = 15, AHour = 60, WarmerK = 2;

    /// <summary>The blocks.</summary>
    public static IEnumerable<SheetBlock> Of(GuideFacts f)
    {
        if (Ladder(f).Where(r => double.IsFinite(r.Hours)).ToList() is { Count: > 0 } rungs)
            yield return new SheetBlock(SheetPlace.Running, "As the battery falls", SheetForm.Pairs, [.. rungs.Select(r => new SheetLine(
                Phrase.Of($"from {r.Rung.FromSoc:Fraction}"), Phrase.Of($"{r.Rung.Words}: lasts {r.Hours:Hours}"), Phrase.Empty, "", null))]);
        yield return new SheetBlock(SheetPlace.Running, "Day by day", SheetForm.Sentences, [.. Daily(f).Select(p => SheetLine.Sentence(p))]);
        if (f.Wiring is { Circuits: [var circuit, ..] })
            yield return new SheetBlock(SheetPlace.Fitted, "What was fitted", SheetForm.Pairs, [SheetLine.Pair("Breaker",
                Phrase.Of($"{circuit.Device}{(circuit.DeviceA is { } a ? $" {a:0.#} A" : "")} in {circuit.From}, feeds {circuit.Name}"))]);
        if (f.Install?.Entries.Where(e => e.Type == EventType.LeftForLater).ToList() is { Count: > 0 } left)
            yield return new SheetBlock(SheetPlace.Cautions, "Still to do", SheetForm.Bullets, [.. left.Select(e =>
                SheetLine.Sentence(Phrase.Of($"{e.Text}")))]);
    }

    private static IReadOnlyList<RungHours> Ladder(GuideFacts f)
    {
        if (!f.Survey.Sources.Battery.Fitted || f.Energy is not { Owner: [_, _, ..] owner })
            return [];
        var table = owner.Select(o => (o.SetpointC, o.MeanW)).OrderBy(t => t.SetpointC).ToList();
        double At(double celsius) => table.MinBy(t => Math.Abs(t.SetpointC - celsius)).MeanW;
        var (normal, warmer) = (At(f.SetpointC), At(f.SetpointC + WarmerK));
        var inverter = f.Survey.Sources.Inverter;
        var (efficiency, idle) = f.Unit.IsDc || !inverter.Fitted ? (1, 0.0)
            : (TypicalEfficiency, inverter.IdleW ?? InverterLosses.IdleShare * inverter.RatedW);
        var other = f.Survey.Devices.Sum(d => d.PowerW * Physics.Day.Share(NightHour, d.From, d.To));
        return LowBattery.Of(LowBattery.Usual(f.ReserveSoc, normal, warmer, other), f.Survey.Sources.Battery.BankKWh * 1000, 1, f.ReserveSoc, efficiency,
            idle);
    }

    private const double TypicalEfficiency = 0.9;
    private const int NightHour = 2;

    private static IEnumerable<Phrase> Daily(GuideFacts f)
    {
        var minutes = f.PullDown?.Minutes is { } m ? Math.Ceiling(m / PreCoolStepMin) * PreCoolStepMin : AHour;
        yield return Phrase.Of($"Start it {minutes:Number} minutes before you come in from the sun, doors and covers shut.");
        yield return Phrase.Of($"Vanes about level, never at the floor; the set-point one degree warmer saves more than the fan does.");
        if (f.Survey.Sources.Generator.Fitted)
            yield return Phrase.Of($"The generator runs a minute before its load is switched on. Its exhaust kills: never in or beside an open cabin.");
        yield return Phrase.Of($"Water on the wall is a blocked drain: unit off, wet vacuum on the end of the drain.");
        if (f.Survey.Kind is RigKind.Van or RigKind.Rv or RigKind.Bus or RigKind.Trailer)
            yield return Phrase.Of($"Before driving: outdoor unit off, covers on, nothing loose, and the new height of the rig known.");
        yield return Phrase.Of($"Call when: a breaker trips twice, it smells burnt, ice stays on a pipe, or a joint is oily. Off first.");
    }

}
