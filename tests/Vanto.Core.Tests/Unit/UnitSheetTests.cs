using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Unit;

/// <summary>The manual typed once: what is typed wins line by line, what is empty is said with the figure that waits for it.</summary>
public class UnitSheetTests
{
    private static readonly AcUnit Split = UnitCatalogue.Find("MS-12-120")!;

    private static UnitDesign With(UnitSheetDesign sheet) => new() { Chosen = Split.Id, Sheets = [sheet with { Unit = Split.Id }] };

    [Fact]
    public void What_is_typed_wins_and_the_rest_is_typical_of_its_class()
    {
        var typed = With(new UnitSheetDesign { Head = new HeadSheet { WidthM = 0.777 }, Circuit = new CircuitSheet { Refrigerant = RefrigerantKind.R290 } });
        var known = UnitSheets.Known(typed, Split);
        var typical = UnitSheets.Typical(Split);
        (known.Head.WidthM, known.Circuit.Refrigerant).ShouldBe((0.777, RefrigerantKind.R290));
        (known.Head.HeightM, known.Outdoor.FeetAlongM, known.Circuit.MostM).ShouldBe((typical.Head.HeightM, typical.Outdoor.FeetAlongM, typical.Circuit.MostM));
        UnitSheets.Known(new UnitDesign { Chosen = Split.Id }, Split).Head.ShouldBe(typical.Head);
    }

    [Fact]
    public void Each_empty_line_names_the_figure_that_waits_for_it()
    {
        var none = UnitSheets.View(new UnitDesign { Chosen = Split.Id }, Split);
        none.Index.ShouldBeNull();
        none.Filled.ShouldBe(0);
        none.Waiting.Count.ShouldBe(none.Of);
        none.Waiting.ShouldAllBe(w => w.Figure.Contains(": ") && w.Label.Length > 0);
        none.Waiting.ShouldContain(w => w.Path == "/unit/sheets/0/head/holeRightM" && w.Figure == "Layout: the hole set out");
        foreach (var waiting in none.Waiting)
            JobFile.Fields.ShouldContain(f => f.Path == waiting.Path.Replace("/0/", "/*/"), waiting.Path);
        var some = UnitSheets.View(With(new UnitSheetDesign { Price = 900, Head = new HeadSheet { WidthM = 0.8 } }), Split);
        (some.Filled, some.Waiting.Count).ShouldBe((2, none.Of - 2));
        var rooftop = UnitCatalogue.Find("RT-13-115")!;
        UnitSheets.View(new UnitDesign { Chosen = rooftop.Id }, rooftop).Waiting.ShouldNotContain(w => w.Path.Contains("/circuit/"));
    }

    [Fact]
    public void A_head_that_the_outdoor_unit_does_not_name_is_a_stop()
    {
        Finding? Found(string head, string heads) => UnitSheets.Judge(
            With(new UnitSheetDesign { Head = new HeadSheet { Model = head }, Outdoor = new OutdoorSheet { Model = "OX-12", Heads = heads } }), Split)
            .SingleOrDefault(f => f.Code == "unit.pair-mismatch");
        Found("HD-9", "HD-12, HD-12L")!.Level.ShouldBe(Severity.Stop);
        Found("hd-12", "HD-12, HD-12L").ShouldBeNull();
        Found("", "HD-12").ShouldBeNull();
        Found("HD-9", "").ShouldBeNull("nothing is listed");
    }

    /// <summary>−0.02·20² + 1.12·20 = 14.4; past its highest at 28 it does not fall again.</summary>
    [Fact]
    public void Watts_are_estimated_from_a_seasonal_figure_and_said_so()
    {
        UnitSheets.EerOf(20).ShouldBe(14.4, 1e-12);
        UnitSheets.EerOf(28).ShouldBe(15.68, 1e-12);
        UnitSheets.EerOf(40).ShouldBe(15.68, 1e-12);
        UnitSheets.EstimatedW(3516.85284, 20).ShouldBe(12000 / 14.4, 1e-3);
        var own = Split with { Id = "OX-12", RatedPowerW = 1300 };
        UnitSheets.Judge(With(new UnitSheetDesign { Circuit = new CircuitSheet { EndsOn = "2030-01-01" } }), Split)
            .Single(f => f.Code == "unit.refrigerant-ends").Words.ToString().ShouldContain("As typed");
        var design = new UnitDesign { Chosen = "OX-12", Own = [own], Sheets = [new UnitSheetDesign { Unit = "OX-12", Seer = 20, WattsKnown = false }] };
        var note = UnitSheets.Judge(design, own).Single(f => f.Code == "unit.seer-estimate");
        note.Remedies.Single().Edit.Apply(design).Own[0].RatedPowerW.ShouldBe(Math.Round(UnitSheets.EstimatedW(own.RatedCapacityW, 20)));
        UnitSheets.Judge(With(new UnitSheetDesign { Seer = 20 }), Split).ShouldNotContain(f => f.Code == "unit.seer-estimate", "its watts are known");
    }

    [Fact]
    public void A_sheet_is_written_read_and_refused_with_the_place_named()
    {
        var sheet = new UnitSheetDesign
        {
            Unit = "OX-12",
            Head = new HeadSheet { WidthM = 0.81, QuietDb = 21 },
            Box = [new BoxPart { Kind = BoxKind.Screw, Count = 8, SizeM = 0.005, LengthM = 0.035, Material = "masonry" }],
            Codes = [new ErrorCode { Code = "E5", Words = "Compressor current too high" }],
            FinishedBy = Finisher.Licensed,
        };
        var read = UnitSheetFile.Read(UnitSheetFile.Write(sheet));
        (read.Head, read.FinishedBy, read.Box[0], read.Codes[0]).ShouldBe((sheet.Head, sheet.FinishedBy, sheet.Box[0], sheet.Codes[0]));
        Should.Throw<InputException>(() => UnitSheetFile.Read("""{"format":"vanto-unit-sheet-1","sheet":{"head":{"widthM":9}}}"""))
            .Errors.Single().Field.ShouldBe("sheet.head.widthM");
        foreach (var bad in new[] { "no", "[]", "{}", """{"format":"other","sheet":{}}""", """{"format":"vanto-unit-sheet-1","sheet":7}""" })
            Should.Throw<InputException>(() => UnitSheetFile.Read(bad)).Errors.Single().Field.ShouldBe("sheet");
    }

    /// <summary>The typical figures of every class of the catalogue can be typed: they lie in the ranges of their fields.</summary>
    [Fact]
    public void Typical_figures_of_every_class_are_legal()
    {
        foreach (var unit in UnitCatalogue.All)
            UnitSheetFile.Read(UnitSheetFile.Write(UnitSheets.Typical(unit))).Unit.ShouldBe(unit.Id);
    }

    [Fact]
    public void A_new_rig_says_nothing_of_its_sheet_until_one_is_begun()
    {
        Assessor.Assess(NewcomersVan.Design).Unit!.Findings.ShouldNotContain(f => f.Code.StartsWith("unit.sheet"));
        var unit = NewcomersVan.Design.Unit;
        var begun = NewcomersVan.Design with { Unit = unit with { Sheets = [new UnitSheetDesign { Unit = unit.Chosen }] } };
        Assessor.Assess(begun).Unit!.Findings.ShouldContain(f => f.Code == "unit.sheet-missing");
    }
}
