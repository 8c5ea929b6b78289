using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Core.Tests.Job;

/// <summary>Designs that once took a station down: legal fields in combinations that nobody had thought of.</summary>
public class HardDesignTests
{
    private static string Text(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "JobFiles", "Hard", name + ".json"));

    [Theory]
    [InlineData("devices-infinity")]
    [InlineData("energy-not-closed")]
    [InlineData("flat-start")]
    [InlineData("glass-index")]
    [InlineData("limited-power")]
    [InlineData("roof-margin")]
    [InlineData("window-24-0")]
    public void It_is_assessed_with_finite_numbers_and_closing_energy(string name)
    {
        var assessment = Assessor.Assess(JobFile.Read(Text(name)));
        foreach (var fault in assessment.Faults)
            fault.Id.ShouldBe("", $"{fault.Station}: {fault.Cause}");
        Finite.FirstFault(assessment.Results).ShouldBeNull();
        (assessment.Energy?.Findings ?? []).ShouldAllBe(f => f.Code != "energy.open");
    }
}
