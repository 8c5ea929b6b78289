using System.Diagnostics;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Start;
using Vanto.Core.Stations;

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

    /// <summary>Whatever is written down at the gauges, in any order, is judged.</summary>
    [Fact]
    public void Any_readings_at_the_gauges_are_judged() =>
        Gen.Select(AnyDesign.Changes(0, 12), Gen.Double[0, 1].Array[GaugeRows * 6]).Each(
            (changes, where) =>
            {
                var records = new List<StationRecord>();
                for (var i = 0; i < GaugeRows; i++)
                {
                    var w = where.AsSpan(6 * i, 6).ToArray();
                    var at = DateTimeOffset.UnixEpoch.AddMinutes(40 * w[0]);
                    records.Add(w[1] < 0.6
                        ? new VacuumRecord(Guid.NewGuid(), at, "Wren", new VacuumValues
                        {
                            Value = w[2] < 0.7 ? 3000 * w[3] : 400 * w[3] - 200,
                            Unit = (VacuumUnit)(int)(8.99 * (w[2] < 0.7 ? 0.6 : w[4])),
                            ShutOff = w[5] < 0.1,
                            Minute = w[4] < 0.3 ? 30 * w[0] : null,
                        }, i > 0 && w[5] > 0.95 ? records[i - 1].Id : null)
                        : new NitrogenRecord(Guid.NewGuid(), at, "Wren", new NitrogenValues
                        {
                            GaugePa = 6.2e6 * w[2],
                            PipeC = w[3] < 0.1 ? null : 110 * w[3] - 40,
                            Begins = w[5] < 0.2,
                            BarometerPa = w[4] < 0.3 ? 50000 + 60000 * w[0] : null,
                        }, null));
                }
                Assessor.Assess(AnyDesign.Of(changes), records).Faults.ShouldAllBe(f => f.Id == "");
            },
            iter: 200);

    private const int GaugeRows = 24;

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
