using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Tests.Job;

/// <summary>Whatever a station throws is its own fault and nobody else's.</summary>
public class StationRunTests
{
    private sealed record Result(double Value);

    private static Result Throw(Exception e) => throw e;

    [Fact]
    public void An_error_inside_has_a_name_the_same_for_the_same_cause_and_those_after_it_wait()
    {
        StationFault Of()
        {
            var run = new StationRun();
            run.Try("load", null, () => Throw(new IndexOutOfRangeException("deep inside"))).ShouldBeNull();
            run.Try("unit", "load", () => new Result(1)).ShouldBeNull();
            run.Try("survey", null, () => new Result(1)).ShouldNotBeNull();
            run.Faults.Select(f => f.Station).ShouldBe(["load", "unit"]);
            run.Faults[1].Verdict.State.ShouldBe(StationState.Resting);
            return run.Faults[0];
        }
        var fault = Of();
        fault.Id.ShouldStartWith("load-");
        Of().Id.ShouldBe(fault.Id);
        fault.Cause.ShouldBeOfType<IndexOutOfRangeException>();
        fault.Verdict.Headline.ToString().ShouldBe("Load could not be worked out from these values.");
        fault.Verdict.Detail.ToString().ShouldContain(fault.Id);
        System.Text.Json.JsonSerializer.Serialize(fault, JobFile.Json).ShouldNotContain("deep inside", customMessage: "what was thrown is for the log");
    }

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    public void A_number_that_is_none_does_not_leave_the_core(double value)
    {
        var run = new StationRun();
        run.Try("energy", null, () => new Result(value)).ShouldBeNull();
        run.Faults.Single().Cause!.Message.ShouldContain("energy.Value");
    }

    [Fact]
    public void Bad_input_met_by_several_threads_at_once_is_bad_input()
    {
        var run = new StationRun();
        run.Try("energy", null,
            () => Throw(
                new AggregateException(new InputException("energy.to", Phrase.Of($"{25.0:Temperature}"), Phrase.Of($"too warm at {25.0:Temperature}")))));
        var fault = run.Faults.Single();
        fault.Id.ShouldBeEmpty();
        fault.Errors.Single().Field.ShouldBe("energy.to");
        fault.Verdict.Headline.InUnits(UnitSystem.Customary).ShouldBe("too warm at 77 °F");
    }

    [Fact]
    public void A_run_whose_books_do_not_close_is_said()
    {
        var open = new Core.Energy.EnergyLedger { PvUsedWh = 100 };
        open.Closes.ShouldBeFalse();
        new Core.Energy.EnergyLedger { PvUsedWh = 100, DcLoadWh = 100 }.Closes.ShouldBeTrue();
    }
}
