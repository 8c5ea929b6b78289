using OpenQA.Selenium;
using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Unit;

public sealed class UnitTests : IClassFixture<DemoServer>, IDisposable
{
    private readonly Screen _screen;
    private readonly DemoServer _demo;

    public UnitTests(DemoServer demo)
    {
        _demo = demo;
        _screen = new Screen(demo.Server.Address);
        _screen.OpenRig("Gannet's Rest", "unit");
    }

    public void Dispose() => _screen.Dispose();

    [Fact]
    public void A_candidate_is_chosen_and_both_schools_stand_beside_it()
    {
        _screen.See("[data-pull]", "contents then still stand at");
        _screen.See("[data-schools]", "just enough");
        _screen.AllFindings();
        _screen.See(".findings", "No head stands in aft cabin");
        _screen.Unfold("Heads");
        _screen.Press("one more head");
        _screen.Saved();
        _screen.Press("one more head");
        _screen.Saved();
        _screen.Type("/unit/heads/1/space", "2");
        _screen.Until(() => !_screen.See(".findings").Text.Contains("No head stands"), "both spaces have a head");
        var before = _screen.See("[data-ledger='unit'] b").Text;
        _screen.Choose("/unit/chosen", "MS-35-230");
        _screen.Until(() => _screen.See("[data-ledger='unit'] b").Text != before, "the unit changes");
        _screen.IsAccessible();
        _screen.IsClean();
    }

    [Fact]
    public async Task Own_units_come_from_a_sheet_and_faults_name_their_row()
    {
        _screen.Unfold("Own units");
        var file = Path.Combine(_demo.Server.Folder, "units.csv");
        await File.WriteAllTextAsync(file, "id,kind,supplyVoltageV,frequencyHz,ratedCapacityW,ratedPowerW,minCapacityW,maxCapacityW\nSHED-9,miniSplitInverter,230,50,2900,760,900,3400\n");
        _screen.Driver.FindElement(By.CssSelector("[data-csv]")).SendKeys(file);
        _screen.See(".see", "SHED-9");
        await File.WriteAllTextAsync(file, "id,kind,ratedCapacityW\nSHED-10,miniSplitInverter,much\n");
        _screen.Driver.FindElement(By.CssSelector("[data-csv]")).SendKeys(file);
        _screen.Wait(() => _screen.All("[role='alert']").FirstOrDefault(e => e.GetAttribute("textContent")!.Contains("row 2, ratedCapacityW")), "the row is named");
        _screen.IsClean();
    }
}
