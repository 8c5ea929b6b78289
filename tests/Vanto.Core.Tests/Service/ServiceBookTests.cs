using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Service;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Service;

/// <summary>Refrigerant, warranty, moving a unit. Common practice, no published source, but where one is named.</summary>
public class ServiceBookTests
{
    private static readonly DateTimeOffset Noon = new(2027, 3, 2, 12, 0, 0, TimeSpan.Zero);

    [Theory] // annualising method of 40 CFR 82, from memory
    [InlineData(0.12, 0.90, 200, 0.243333)]
    [InlineData(0.12, 0.90, 500, 0.133333)]
    [InlineData(0.05, 1.30, 40, 0.350962)]
    public void Loss_is_told_by_the_year(double added, double full, int days, double share) =>
        RefrigerantBook.YearlyShare(added, full, days).ShouldBe(share, 1e-6);

    [Fact]
    public void Figures_of_the_book()
    {
        Should.Throw<InputException>(() => RefrigerantBook.YearlyShare(0.1, 1, 0));
        RefrigerantBook.CylinderMostKg(12.0, 961).ShouldBe(9.2256, 1e-4);
        RefrigerantBook.CylinderMostKg(11.9, 1060).ShouldBe(10.0912, 1e-4);
        (0.90 * RefrigerantBook.Gwp(RefrigerantKind.R32) / 1000).ShouldBe(0.6075, 1e-9);
        (1.30 * RefrigerantBook.Gwp(RefrigerantKind.R410A) / 1000).ShouldBe(2.7144, 1e-9);
        RefrigerantBook.Agrees(11.36, 11.235, 0.12).ShouldBeTrue();
        RefrigerantBook.Agrees(11.36, 11.135, 0.12).ShouldBeFalse();
    }

    private static ChargeRecord Charge(int day, ChargeKind kind, double kg, bool repaired = false, RefrigerantKind fluid = RefrigerantKind.R32) =>
        new(Guid.NewGuid(), Noon.AddDays(day), "Ottoline",
            new ChargeValues { Kind = kind, Kg = kg, Refrigerant = fluid, Licence = "HD-1", Repaired = repaired }, null);

    [Fact]
    public void The_book_balances_and_a_second_filling_asks_for_the_leak()
    {
        var (view, findings) = RefrigerantBook.Of([Charge(0, ChargeKind.Factory, 0.90), Charge(1, ChargeKind.Added, 0.075, repaired: true),
            Charge(200, ChargeKind.Added, 0.12, repaired: true), Charge(300, ChargeKind.Recovered, 0.05)], RefrigerantKind.R32, null);
        view.Kg!.Value.ShouldBe(1.045, 1e-9);
        findings.ShouldNotContain(f => f.Level == Severity.Stop);
        var again = RefrigerantBook.Of([Charge(0, ChargeKind.Factory, 0.9), Charge(100, ChargeKind.Added, 0.1), Charge(200, ChargeKind.Added, 0.1)],
            RefrigerantKind.R32, null).Findings;
        again.ShouldContain(f => f.Code == "refrigerant.refill-without-repair" && f.Level == Severity.Stop);
        again.ShouldContain(f => f.Code == "refrigerant.loses");
        RefrigerantBook.Of([Charge(0, ChargeKind.Added, 0.1, fluid: RefrigerantKind.R410A)], RefrigerantKind.R32, 0.9).Findings
            .ShouldContain(f => f.Code == "refrigerant.mixed");
    }

    [Fact] // calendar arithmetic
    public void Warranty_dates_are_those_of_the_calendar()
    {
        DateOnly Ends(string from, int years) => Warranty.Dates(new WarrantyDesign { From = from, PartsYears = years, CompressorYears = 0, LabourYears = 0 })
            .Single().Day;
        Ends("2024-02-29", 1).ShouldBe(new DateOnly(2025, 2, 28));
        Ends("2024-02-29", 4).ShouldBe(new DateOnly(2028, 2, 29));
        Ends("2026-06-12", 5).ShouldBe(new DateOnly(2031, 6, 12));
        Warranty.Dates(new WarrantyDesign { From = "2026-06-12", RegisterDays = 60 })[0].Day.ShouldBe(new DateOnly(2026, 8, 11));
        var chain = Warranty.Chain(new DateOnly(2024, 3, 31), [new DateOnly(2025, 4, 20), new DateOnly(2026, 5, 25)]);
        chain.Select(c => c.Limit).ShouldBe([new DateOnly(2025, 4, 30), new DateOnly(2026, 5, 20), new DateOnly(2027, 6, 24)]);
        chain.Select(c => c.Kept).ShouldBe([true, false, true]);
        Warranty.Dates(new WarrantyDesign()).ShouldBeEmpty();
    }

    private static MoveRecord Step(string id, bool isVoid = false) => new(Guid.NewGuid(), Noon, "Piet", new MoveValues { Step = id, Void = isVoid }, null);

    [Fact]
    public void A_line_opened_before_the_valves_are_shut_stops_the_move()
    {
        var order = Moving.Of([]).View.Steps.Select(s => s.Id).ToList();
        var (done, none) = Moving.Of([.. order.Select(id => Step(id))]);
        done.State.ShouldBe(StationState.Passed);
        done.ChargeKnown.ShouldBeTrue();
        none.ShouldBeEmpty();
        var (early, findings) = Moving.Of([Step("ran"), Step("lines-apart"), Step("valves-shut")]);
        early.State.ShouldBe(StationState.Stop);
        early.ChargeKnown.ShouldBeFalse();
        findings.ShouldHaveSingleItem().Code.ShouldBe("move.opened-early");
        Moving.Of([Step("ran"), Step("lines-apart"), Step("lines-apart", isVoid: true), Step("valves-shut")]).View.ChargeKnown.ShouldBeTrue("it was a slip");
    }

    [Fact]
    public void M60_care_counts_from_the_handover_and_from_what_was_done()
    {
        var van = RigPresets.New(RigKind.Van, "Knot") with { Service = new ServiceDesign { HandedOver = "2027-01-01" } };
        var before = Assessor.Assess(van, []).Service!;
        before.Care.ShouldAllBe(c => c.Due != null);
        before.Verdict.Headline.ToString().ShouldStartWith("Next: ");
        var visit = new VisitRecord(Guid.NewGuid(), Noon, "Piet", new VisitValues { Done = "filter, joints-first", Day = "2027-02-20" }, null);
        var after = Assessor.Assess(van, [visit]).Service!;
        after.Care.Single(c => c.Id == "filter").Due!.Value.ShouldBeGreaterThan(before.Care.Single(c => c.Id == "filter").Due!.Value);
        after.Care.ShouldNotContain(c => c.Id == "joints-first", "it is done once");
        after.Life.Select(l => l.Day).ShouldBeInOrder(SortDirection.Descending);
        Assessor.Assess(van with { Service = new ServiceDesign() }, []).Service!.Care.ShouldAllBe(c => c.Due == null);
    }
}
