using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Unit;

public sealed class UnitTests(DemoServer demo) : StationTests(demo, "Gannet's Rest", "unit")
{
    [Fact]
    public void A_candidate_is_chosen_and_both_schools_stand_beside_it()
    {
        Screen.Leaf("pull-down");
        Screen.See("[data-pull]", "contents then still stand at");
        Screen.Leaf("chosen");
        Screen.See("[data-schools]", "just enough");
        Screen.AllFindings();
        Screen.See(".findings", "No head stands in aft cabin");
        Screen.Unfold("Heads");
        Screen.Press("one more head");
        Screen.Saved();
        Screen.Press("one more head");
        Screen.Saved();
        Screen.Type("/unit/heads/1/space", "2");
        Screen.Until(() => !Screen.See(".findings").Text.Contains("No head stands"), "both spaces have a head");
        var before = Screen.See("[data-ledger='unit'] b").Text;
        Screen.Choose("/unit/chosen", "mini-split 12k, 230 V");
        Screen.Until(() => Screen.See("[data-ledger='unit'] b").Text != before, "the unit changes");
        Screen.IsAccessible();
        Screen.IsClean();
    }

    [Fact]
    public async Task Own_units_come_from_a_sheet_and_faults_name_their_row()
    {
        Screen.Unfold("Own units");
        var file = Path.Combine(Demo.Server.Folder, "units.csv");
        await File.WriteAllTextAsync(file,
            "id,kind,supplyVoltageV,frequencyHz,ratedCapacityW,ratedPowerW,minCapacityW,maxCapacityW\nSHED-9,miniSplitInverter,230,50,2900,760,900,3400\n");
        Screen.Give("[data-csv]", file);
        Screen.See(".see", "SHED-9");
        await File.WriteAllTextAsync(file, "id,kind,ratedCapacityW\nSHED-10,miniSplitInverter,much\n");
        Screen.Give("[data-csv]", file);
        Screen.Wait(() => Screen.All("[role='alert']").FirstOrDefault(e => e.GetAttribute("textContent")!.Contains("row 2, ratedCapacityW")),
            "the row is named");
        Screen.IsClean();
    }
}
