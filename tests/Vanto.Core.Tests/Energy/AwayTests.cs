using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Energy;

/// <summary>The rig left alone, the ageing bank; common practice, no published source.</summary>
public class AwayTests
{
    private const string Off = "off by its remote, standing by";

    private static EnergyInputs Inputs(JobDesign design)
    {
        var unit = Assessor.Assess(design).Unit!.Unit;
        return new EnergyInputs(design.Survey, design.Load, design.Unit, unit, design.Energy, design.Start.ReserveSoc);
    }

    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    [Theory]
    [MemberData(nameof(Rigs))]
    public void Each_way_of_leaving_it_does_what_it_says(string name)
    {
        var design = AnyDesign.Named[name];
        var view = Away.Study(Inputs(design));
        view.Rows.Count.ShouldBeGreaterThan(8);
        foreach (var row in view.Rows.Take(3).Append(view.Rows[^1]))
        {
            var taken = design with { Energy = row.Way.Edit.Apply(design.Energy) };
            var own = Assessor.Assess(taken).Energy!;
            own.Away.ShouldNotBeNull();
            (own.Away.WhADay, own.Away.WarmestC, own.Away.LowestSoc).ShouldBe((row.WhADay, row.WarmestC, row.LowestSoc));
            own.Findings.Any(f => f.Code is "away.bank-empty" or "away.warm" or "away.damp").ShouldBe(!row.Holds);
            Assessor.Assess(taken).Handover!.Blocks.ShouldContain(b => b.Heading == "Nobody aboard");
        }
        if (view.Best is { } best)
            view.Rows.Where(r => r.Holds).Min(r => r.WhADay).ShouldBe(view.Rows[best].WhADay);
        var off = view.Rows.Single(r => r.Words.ToString() == Off);
        off.RunHours.ShouldBe(0);
        view.Rows.Where(r => r.EmptyDay is null).ShouldAllBe(r => r.WhADay >= off.WhADay - 1e-6, "it only stands by");
    }

    [Fact]
    public void Longer_windows_are_never_warmer_and_more_cooling_is_never_warmer()
    {
        var rows = Away.Study(Inputs(AnyDesign.Named["Marigold"])).Rows;
        var off = rows.Single(r => r.Words.ToString() == Off);
        rows.Where(r => r.EmptyDay is null).ShouldAllBe(r => r.WarmestC <= off.WarmestC + 0.01);
    }

    [Fact]
    public void Frost_is_said_only_where_it_is_left_in_winter_and_nights_are_cold()
    {
        var design = AnyDesign.Named["Marigold"];
        bool Frost(bool winter, double coldest) => Assessor.Assess(design with
        {
            Energy = design.Energy with { Away = new AwayDesign { Asked = true, Winter = winter } },
            Survey = design.Survey with { Climate = design.Survey.Climate with { WinterC = coldest } },
        }).Energy!.Findings.Any(f => f.Code == "away.frost");
        (Frost(true, -5), Frost(true, 6), Frost(false, -5)).ShouldBe((true, false, false));
    }

    [Theory]
    [InlineData(1, 25, 0.98)]
    [InlineData(25, 25, 0.90)]
    [InlineData(4, 35, 0.92)]
    [InlineData(100, 45, 0.20)]
    public void A_bank_ages_by_the_root_of_its_years(double years, double celsius, double left) =>
        BatteryFade.Left(years, celsius).ShouldBe(left, 1e-9);
}
