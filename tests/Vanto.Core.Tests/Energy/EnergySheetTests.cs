using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Stations;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Energy;

/// <summary>The hours on the owner's sheet are those that were rounded down for it, not rounded once more.</summary>
public class EnergySheetTests
{
    [Theory]
    [InlineData(0.25, "0.25 h")]
    [InlineData(1.75, "1.75 h")]
    [InlineData(8.5, "8.5 h")]
    [InlineData(24, "24 h")]
    [InlineData(25, "more than 24 h")]
    public void Hours_stand_as_they_were_rounded(double printed, string words)
    {
        var design = NewcomersVan.Design;
        var own = Assessor.Assess(design).Energy! with { Owner = [new SetpointHours(25, 300, printed + 0.1, printed, printed)] };
        var tiles = EnergySheet.Of(design.Survey, design.Energy, own).Single(b => b.Form == SheetForm.Tiles);
        tiles.Lines.Single().Label.ToString().ShouldBe("25 °C");
        tiles.Lines.Single().Value.ToString().ShouldBe(words);
    }
}
