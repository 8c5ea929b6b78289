using System.Diagnostics;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Start;

namespace Vanto.Core.Tests.Job;

/// <summary>
/// Any combination of fields in their ranges is assessed: no fault of Vanto's own, every number finite, the energy closes, and it comes to an end.
/// </summary>
[Trait("Category", "Fuzz")]
public class AnyDesignTests
{
    /// <summary>Longer than any design takes; asked twice before it is told, since a machine may do something else for a while.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);

    [Fact]
    public void A_few_fields_changed_at_once_are_always_answered() =>
        AnyDesign.Changes(1, 25).Each(Answered, iter: 400, print: Print);

    [Fact]
    public void Many_fields_changed_at_once_are_always_answered() =>
        AnyDesign.Changes(40, 300).Each(Answered, iter: 250, print: Print);

    [Fact]
    public void Any_readings_of_a_start_up_are_judged() =>
        Gen.Select(AnyDesign.Changes(0, 12), Gen.Double[0, 1].Array[RecordFields.Count]).Each(
            (changes, where) =>
            {
                var readings = new JsonObject();
                foreach (var (field, w) in RecordFields.Zip(where))
                    AnyDesign.Put(readings, field, w);
                CommissionRecord[] records =
                    [new(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", readings.Deserialize<StartUpReadings>(JobFile.Json)!, null)];
                var assessment = Assessor.Assess(AnyDesign.Of(changes), records);
                assessment.Faults.ShouldAllBe(f => f.Id == "");
            },
            iter: 150);

    private static readonly IReadOnlyList<FieldInfo> RecordFields = FieldCatalogue.Of(typeof(StartUpReadings), new StartUpReadings(), JobFile.Json);

    [Fact]
    public void What_is_worked_out_when_asked_is_answered_too() =>
        AnyDesign.Changes(1, 60).Each(c => AskedOf(Stands(c)), iter: 60, print: Print);

    /// <summary>The design without what its stations refuse.</summary>
    private static JobDesign Stands((int Base, FieldAt[] Changes) changes)
    {
        for (var now = changes; ;)
        {
            var design = AnyDesign.Of(now);
            if (AnyDesign.Without(now, Assessor.Assess(design)) is not { } less)
                return design;
            now = less;
        }
    }

    private static void AskedOf(JobDesign design)
    {
        if (Assessor.Assess(design) is not { Energy: not null, Unit: { } unit } || design.Energy.Sizing.MostBatteries > 12)
            return;
        var inputs = new EnergyInputs(design.Survey, design.Load, design.Unit, unit.Unit,
            design.Energy with { Stretch = design.Energy.Stretch with { Days = 1 } }, design.Start.ReserveSoc);
        object?[] answers =
        [
            Answer(() => LimitedPowerStudy.Of(inputs)),
            Answer(() => StartStudy.Of(design.Survey, design.Start, unit.Unit)),
            Answer(() => OptionsTable.Of(design with { Options = [.. design.Options.Take(2)] }, null)),
            Answer(() => RigKitSearch.Rig(design with {
                Energy = design.Energy with { Sizing = design.Energy.Sizing with { MostBatteries = 3, MostModules = 3, Days = 1 } } })?.Invoke(null, default)),
            design.Survey.Climate.Months.Count == 12 ? Answer(() => EnergyStretch.Of(inputs, SeasonRun.Made(design.Survey), "made")) : null,
        ];
        foreach (var answer in answers)
            Finite.FirstFault(answer).ShouldBeNull(answer?.GetType().Name);
    }

    private static object? Answer(Func<object?> ask)
    {
        try
        {
            return ask();
        }
        catch (InputException)
        {
            return null;
        }
    }

    private static string Print((int Base, FieldAt[] Changes) changes) => AnyDesign.Text(changes);

    /// <summary>As it is, and without what a station refuses until none does: behind a refusal nothing would be seen.</summary>
    private static void Answered((int Base, FieldAt[] Changes) changes)
    {
        for ((int Base, FieldAt[] Changes)? now = changes; now is { } c;)
        {
            var assessment = Assessed(AnyDesign.Of(c));
            foreach (var fault in assessment.Faults)
                fault.Id.ShouldBe("", $"{fault.Station}: {fault.Cause}");
            Finite.FirstFault(assessment.Results).ShouldBeNull();
            if (assessment.Energy is { } energy)
                energy.Findings.Where(f => f.Code == "energy.open").Select(f => f.Words.ToString()).ShouldBeEmpty();
            now = AnyDesign.Without(c, assessment);
        }
    }

    private static JobAssessment Assessed(JobDesign design)
    {
        var began = Stopwatch.GetTimestamp();
        var assessment = Assessor.Assess(design);
        if (Stopwatch.GetElapsedTime(began) < Patience)
            return assessment;
        began = Stopwatch.GetTimestamp();
        Assessor.Assess(design);
        Stopwatch.GetElapsedTime(began).ShouldBeLessThan(Patience);
        return assessment;
    }
}
