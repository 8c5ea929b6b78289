using System.Text.Json.Nodes;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Plan;
using Vanto.Core.Shop;
using Vanto.Core.Tests.Job;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Shop;

/// <summary>Units, sheets, prices, tools and people that the shop keeps for every rig.</summary>
public class ShelfTests
{
    private static readonly DateTimeOffset Noon = new(2026, 6, 1, 12, 0, 0, TimeSpan.Zero);

    private static ShelfRecord Record(ShelfValues values, int minute = 0) => new(Guid.CreateVersion7(), Noon.AddMinutes(minute), "Wren", values, null);

    private static readonly JobDesign Full = AnyDesign.Named["Marigold"] with
    {
        Unit = AnyDesign.Named["Marigold"].Unit with
        {
            Own = [new AcUnit { Id = "Shed 9k", Kind = AcKind.MiniSplitInverter, MinCapacityW = 900, MaxCapacityW = 3000, RlaA = 7, LraA = 0 }],
            Sheets = [new UnitSheetDesign { Unit = "Shed 9k", Box = [new BoxPart { Name = "long screw" }], Pages = [new ManualPage()] }],
        },
        Plan = new PlanDesign
        {
            Prices = [new PriceDesign { Item = "sealant", Supplier = "Corner", Price = 7.5 },
                new PriceDesign { Item = "sealant", Supplier = "Yard", Price = 6 }],
            ToolCosts = [new ToolCostDesign { DayPrice = 22 }],
            Crew = [new CrewDesign { Name = "Ottoline Marsh", RateH = 52 }],
        },
    };

    public static TheoryData<ShelfList, string> Lists => new()
    {
        { ShelfList.Units, "Shed 9k" }, { ShelfList.Sheets, "Shed 9k" }, { ShelfList.Prices, "sealant, Corner, pack of 1" },
        { ShelfList.Tools, "vacuum-pump" }, { ShelfList.Crew, "Ottoline Marsh" },
    };

    [Theory, MemberData(nameof(Lists))]
    public void What_is_kept_of_one_rig_is_taken_whole_into_another(ShelfList list, string key)
    {
        var kept = Shelf.Keep(Full, list, key);
        var view = Shelf.Beside(AnyDesign.Named["Pipit"], list, [Record(kept)]);
        var row = view.Rows.ShouldHaveSingleItem();
        (row.Key, row.State).ShouldBe((key, ShelfState.Absent));
        row.Words.InUnits().ShouldNotBeEmpty();
        row.Name.ShouldNotBeEmpty();
        var with = AnyDesign.Named["Pipit"].With(row.Take!.Edit);
        var after = Shelf.Beside(with, list, [Record(kept)]);
        after.Rows.ShouldHaveSingleItem().State.ShouldBe(ShelfState.Same);
        after.Rows[0].Take.ShouldBeNull();
        after.ToKeep.ShouldNotContain(k => k.Key == key);
        Shelf.Keep(with, list, key).File.ShouldBe(kept.File, "it comes back as it was given");
        JobFile.Read(JobFile.Write(with)).ShouldNotBeNull();
        row.Take.Changes.ShouldNotBeEmpty("the page sends them");
    }

    /// <summary>Whatever one rig gives, every other can take: the design is valid then, is worked out, and has it.</summary>
    [Theory]
    [InlineData("Marigold")]
    [InlineData("Gannet's Rest")]
    [InlineData("Seed House 4")]
    public void All_that_one_rig_gives_every_other_can_take(string of)
    {
        var giver = AnyDesign.Named[of];
        foreach (var list in Enum.GetValues<ShelfList>())
        {
            var log = Shelf.Beside(giver, list, []).ToKeep.Select((row, i) => Record(Shelf.Keep(giver, list, row.Key), i)).ToList();
            Shelf.Beside(giver, list, log).Rows.ShouldAllBe(r => r.State == ShelfState.Same, "a rig has what it gave");
            foreach (var taker in AnyDesign.Named.Values)
            {
                var design = Shelf.Beside(taker, list, log).Rows.Select(r => r.Take).OfType<Remedy>().Aggregate(taker, (_, take) => taker.With(take.Edit));
                JobFile.Read(JobFile.Write(design)).ShouldNotBeNull($"{list} of {of} in {taker.Name}");
                Assessor.Assess(design).Survey.ShouldNotBeNull();
                var whole = Shelf.Beside(taker, list, log).TakeAll is { } all ? taker.With(all.Edit) : taker;
                Shelf.Beside(whole, list, log).TakeAll.ShouldBeNull($"{list} of {of} in {taker.Name}: nothing is left to take");
            }
        }
    }

    [Fact]
    public void A_newer_row_of_a_name_counts_and_goes_over_the_rigs_own_only_when_taken()
    {
        var dearer = Full with { Plan = Full.Plan with { Prices = [Full.Plan.Prices[0] with { Price = 9 }] } };
        var key = "sealant, Corner, pack of 1";
        ShelfRecord[] log = [Record(Shelf.Keep(Full, ShelfList.Prices, key)), Record(Shelf.Keep(dearer, ShelfList.Prices, key), 1)];
        var row = Shelf.Beside(Full, ShelfList.Prices, log).Rows.ShouldHaveSingleItem();
        row.State.ShouldBe(ShelfState.Other);
        var taken = Full.With(row.Take!.Edit).Plan.Prices;
        taken.Select(p => (p.Supplier, p.Price)).ShouldBe([("Corner", 9.0), ("Yard", 6.0)], "the other supplier's stays");
        Shelf.Beside(Full, ShelfList.Prices, [.. log, Record(Shelf.Off(ShelfList.Prices, key), 2)]).Rows.ShouldBeEmpty();
    }

    [Fact]
    public void All_that_differs_is_taken_at_once()
    {
        var log = Full.Plan.Prices.Select((p, i) => Record(Shelf.Keep(Full, ShelfList.Prices, $"sealant, {p.Supplier}, pack of 1"), i)).ToList();
        var bare = Full with { Plan = Full.Plan with { Prices = [] } };
        var view = Shelf.Beside(bare, ShelfList.Prices, log);
        bare.With(view.TakeAll!.Edit).Plan.Prices.Select(p => p.Price).ShouldBe([7.5, 6]);
        Shelf.Beside(bare, ShelfList.Prices, [log[0]]).TakeAll.ShouldBeNull();
        Shelf.Beside(Full, ShelfList.Prices, []).ToKeep.Count.ShouldBe(2);
    }

    [Fact]
    public void Pages_of_a_manual_lie_with_their_rig_and_do_not_go_along()
    {
        var kept = JobFile.Read(Shelf.Keep(Full, ShelfList.Sheets, "Shed 9k").File).Unit.Sheets.ShouldHaveSingleItem();
        kept.Pages.ShouldBeEmpty();
        kept.Box.ShouldHaveSingleItem().Name.ShouldBe("long screw");
    }

    [Fact]
    public void A_row_that_cannot_be_read_is_said_and_takes_nothing()
    {
        var later = JsonNode.Parse(Shelf.Keep(Full, ShelfList.Units, "Shed 9k").File)!;
        later["version"] = 99;
        string[] files = [later.ToJsonString(), "", "[]", """{"version":2,"survey":{}}""",
            """{"version":2,"survey":{},"unit":{"own":[{"massKg":-4,"id":"x"}]}}"""];
        foreach (var file in files)
        {
            var row = Shelf.All([Record(new ShelfValues { List = ShelfList.Units, Key = "Shed 9k", File = file })]).ShouldHaveSingleItem(file);
            (row.State, row.Take).ShouldBe((ShelfState.Unreadable, null), file);
            row.Words.InUnits().ShouldNotBeEmpty();
        }
    }

    [Fact]
    public void A_row_that_the_rig_does_not_have_is_refused_with_those_it_has()
    {
        var refused = Should.Throw<InputException>(() => Shelf.Keep(Full, ShelfList.Crew, "Nobody"));
        (refused.Errors[0].Field, refused.Message).ShouldBe(("key", refused.Message));
        refused.Message.ShouldContain("Ottoline Marsh");
        Should.Throw<InputException>(() => Shelf.Named("hats")).Message.ShouldContain("Units");
    }

    [Fact]
    public void A_row_kept_under_an_older_job_file_is_brought_up()
    {
        var file = JsonNode.Parse(Shelf.Keep(Full, ShelfList.Units, "Shed 9k").File)!;
        file["version"] = 1;
        var row = Shelf.All([Record(new ShelfValues { List = ShelfList.Units, Key = "Shed 9k", File = file.ToJsonString() })]).ShouldHaveSingleItem();
        row.State.ShouldNotBe(ShelfState.Unreadable);
    }
}
