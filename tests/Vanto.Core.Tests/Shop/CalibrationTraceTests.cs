using Vanto.Core.Commission;
using Vanto.Core.Physics;
using Vanto.Core.Shop;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Shop;

/// <summary>What an instrument's error makes of verdicts that were given; common practice, no published source.</summary>
public class CalibrationTraceTests
{
    private static readonly DateTimeOffset Noon = new(2026, 6, 1, 12, 0, 0, TimeSpan.Zero);

    private static VacuumRecord Vacuum(double minute, double micron) => new(Guid.CreateVersion7(), Noon.AddMinutes(minute), "Wren",
        new VacuumValues { Value = micron, Unit = VacuumUnit.Micron, Minute = minute, ShutOff = minute == 0 }, null);

    private static readonly IReadOnlyList<VacuumRecord> Hold = [.. Enumerable.Range(0, 11).Select(i => Vacuum(i, 430 + 4 * i))];

    [Fact]
    public void A_gauge_that_shows_too_little_moves_a_vacuum_that_was_near_its_limit()
    {
        var design = AnyDesign.Named["Marigold"];
        CalibrationTrace.Of(design, Hold, InstrumentType.VacuumGauge, 0.5).ShouldNotBeEmpty();
        CalibrationTrace.Of(design, Hold, InstrumentType.VacuumGauge, 0).ShouldBeEmpty();
        CalibrationTrace.Of(design, Hold, InstrumentType.ClampMeter, 0.5).ShouldBeEmpty("it read none of these");
    }

    [Fact]
    public void Only_what_the_instrument_reads_is_read_anew()
    {
        var record = new CommissionRecord(Guid.NewGuid(), Noon, "Wren", new StartUpReadings { RunA = 10, RunV = 120, GasLinePa = 8e5 }, null);
        var clamp = ((CommissionRecord)CalibrationTrace.Reread(record, InstrumentType.ClampMeter, 0.05)).Readings;
        (clamp.RunA, clamp.RunV, clamp.GasLinePa).ShouldBe((10.5, 120, 8e5));
        CalibrationTrace.Reread(record, InstrumentType.TorqueWrench, 0.05).ShouldBe(record);
    }
}
