using CsCheck;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Mount;

/// <summary>Load cases, the search for the lightest, cutting bars, mitred lengths: against figures worked out by hand or by trying everything.</summary>
public class MountTests
{
    private static void Near(double value, double expected, double share = 1e-4) => value.ShouldBe(expected, Math.Abs(expected) * share + 1e-12);

    private static IReadOnlyList<LoadCase> Cases(RoadDesign? road = null) =>
        LoadCases.Of(26, RigBase.Vehicle, WallSide.Rear, false, new MustBearDesign(), road ?? new RoadDesign(), 0.44, 0.24, 1.225);

    private static double Down(IReadOnlyList<LoadCase> cases,
        string name) => cases.Where(c => c.Name.Contains(name)).Select(c => -c.Factor * c.Force.Z).Single();

    [Fact]
    public void Load_cases_are_the_weight_times_their_factors()
    {
        Near(-Cases()[0].Factor * Cases()[0].Force.Z, 382.459);
        Near(Down(Cases(), LoadCases.Times), 1019.892);
        Near(Down(Cases(), "down"), 1147.378);
        Near(Down(Cases(), "road, up"), -382.459);
        Near(LoadCases.Overhang(4.9, 3.665), 1.336971);
        LoadCases.Overhang(2.0, 3.665).ShouldBe(1);
        Near(LoadCases.Overhang(5.5, 4.2), 1.309524);
        Near(Down(Cases(new RoadDesign { BehindM = 4.9, WheelbaseM = 3.665 }), "down"), 1405.134);
    }

    [Fact]
    public void A_side_wall_turns_braking_into_a_pull_along_it()
    {
        var side = LoadCases.Of(26, RigBase.Vehicle, WallSide.Left, false, new MustBearDesign(), new RoadDesign(), 0.44, 0.24, 1.225);
        side.Single(c => c.Name == "braking").Force.Y.ShouldBe(Cases().Single(c => c.Name == "braking").Force.X);
        side.Single(c => c.Name == "cornering to the right").Force.X.ShouldBe(Cases().Single(c => c.Name == "cornering to the right").Force.Y);
    }

    /// <summary>Lengths and angles worked out by hand: tan of the cut times half the height at each end.</summary>
    [Fact]
    public void A_strut_between_arm_and_wall_is_cut_at_both_ends()
    {
        var slope = Math.Atan2(350, 400) * 180 / Math.PI;
        var (longer, shorter) = CutList.Mitred(Math.Sqrt(400 * 400 + 350 * 350), 25, 90 - slope, slope);
        Near(longer, 556.7305);
        Near(shorter, 506.2841);
        CutList.Mitred(500, 40, 45, 45).ShouldBe((540, 460));
        CutList.Mitred(500, 40, 0, 45).LongMm.ShouldBe(520, 1e-9);
    }

    [Fact]
    public void Bars_are_cut_up_as_published_examples_are()
    {
        StockCutting.Solve([1200, 1200, 900, 900, 650, 650, 400, 400, 400], 3000, 3).Bars.Count.ShouldBe(3);
        var ten = StockCutting.Solve([1370, 1170, 670, 800, 590, 500, 920, 1060, 630, 1000], 3000, 3);
        ten.Bars.Count.ShouldBe(3, "first fit needs four");
        ten.Proved.ShouldBeTrue();
        StockCutting.Solve([1000, 1000, 1000], 3000, 3).Bars.Count.ShouldBe(2);
        StockCutting.Solve([1000, 1000, 1000], 3006, 3).Bars.Count.ShouldBe(1);
        StockCutting.Solve(Enumerable.Repeat(600.0, 9).ToList(), 6000, 2).Bars.Count.ShouldBe(1);
        Should.Throw<Core.Findings.InputException>(() => StockCutting.Solve([6100], 6000, 3)).Errors.Single().Reason.ShouldContain("6100 mm");
    }

    /// <summary>Against every way of putting up to seven pieces into bars.</summary>
    [Fact]
    public void No_plan_has_fewer_bars_than_the_one_found()
    {
        Gen.Select(Gen.Double[150, 1900].Array[1, 7], Gen.Double[0, 6]).Each((pieces, kerf) =>
        {
            var plan = StockCutting.Solve(pieces, 2000, kerf);
            plan.Proved.ShouldBeTrue();
            plan.Bars.SelectMany(b => b.PiecesMm).Order().ShouldBe(pieces.Order(), "every piece once");
            plan.Bars.ShouldAllBe(b => b.PiecesMm.Sum() + kerf * (b.PiecesMm.Count - 1) <= 2000 + 1e-6);
            plan.Bars.Count.ShouldBe(Fewest(pieces, 0, [], 2000 + kerf, kerf));
        }, iter: 200);
    }

    private static int Fewest(double[] pieces, int i, List<double> free, double room, double kerf)
    {
        if (i == pieces.Length)
            return free.Count;
        var best = int.MaxValue;
        for (var bar = 0; bar <= free.Count; bar++)
        {
            var opened = bar == free.Count;
            if (opened)
                free.Add(room);
            if (free[bar] >= pieces[i] + kerf - 1e-9)
            {
                free[bar] -= pieces[i] + kerf;
                best = Math.Min(best, Fewest(pieces, i + 1, free, room, kerf));
                free[bar] += pieces[i] + kerf;
            }
            if (opened)
            {
                free.RemoveAt(free.Count - 1);
                break;
            }
        }
        return best;
    }

    private static MountSetting Setting(MountDesign design, MountKind kind, double massKg) => new()
    {
        Design = design,
        Kind = kind,
        How = FixingKind.Through,
        Into = FixedTo.Ribs,
        Base = RigBase.Vehicle,
        Side = WallSide.Rear,
        MassKg = massKg,
        WidthM = 0.8,
        DepthM = 0.3,
        HeightM = 0.55,
        FeetWideM = 0.5,
        FeetDeepM = 0.28,
        OffM = 0.12,
        MiddleM = 1.2,
        Ribs = [],
        RibWidthM = 0.04,
        Salt = false,
        ElevationM = 0,
    };

    /// <summary>The lightest is what trying every pair of profiles finds, and a profile more never makes it heavier.</summary>
    [Fact]
    public void The_lightest_that_passes_is_the_lightest_of_all_pairs()
    {
        var any = from kind in Gen.Const(MountKind.Braced)
                  from mass in Gen.Double[15, 80]
                  from metal in Gen.Enum<MountMetal>()
                  from outM in Gen.Double[0.2, 0.5]
                  from down in Gen.Double[0.15, 0.6]
                  select (kind, mass, metal, outM, down);
        any.Each(c =>
        {
            var s = Setting(new MountDesign { Frame = new FrameDesign { Metal = c.metal, StrutOutM = c.outM, StrutDownM = c.down } }, c.kind, c.mass);
            var cases = LoadCases.Of(c.mass, RigBase.Vehicle, WallSide.Rear, false, s.Design.Bear, s.Design.Road, 0.44, 0.24, 1.225);
            var found = LightestMount.Of(s, cases);
            var best = double.PositiveInfinity;
            foreach (var arm in Enum.GetValues<Profile>())
                foreach (var strut in Enum.GetValues<Profile>())
                {
                    var with = s with { Design = s.Design with { Frame = s.Design.Frame with { Arm = arm, Strut = strut } } };
                    var parts = MountFrame.Judge(with, cases);
                    if (parts.Where(p => p.Element is MountElement.Arm or MountElement.Strut or MountElement.Weld).All(p => p.Used <= 1)
                        && Deflection.Of(with).Keeps)
                        best = Math.Min(best, CutList.Of(with, false).MassKg);
                }
            if (found.MassKg > 0)
                found.MassKg.ShouldBe(best, 0.02 * best, "the strut's stiffness hardly moves the arm's limit");
            else
                best.ShouldBe(double.PositiveInfinity);
        }, iter: 40);
    }

    [Fact]
    public void Heavier_units_use_more_of_every_part()
    {
        Gen.Select(Gen.Double[10, 60], Gen.Double[1.01, 2]).Each((mass, more) =>
        {
            IReadOnlyList<MountPart> Parts(double kg) => MountFrame.Judge(Setting(new MountDesign(), MountKind.Braced, kg), LoadCases.Of(kg, RigBase.Vehicle,
                WallSide.Rear, false, new MustBearDesign { DrivenMs = 0, AgainstMs = 0 }, new RoadDesign(), 0.44, 0.24, 1.225));
            foreach (var part in Parts(mass))
                Parts(mass * more).Single(p => p.Element == part.Element).Used.ShouldBeGreaterThanOrEqualTo(part.Used);
        }, iter: 100);
    }

    [Fact]
    public void The_bar_of_a_tow_shelf_bends_and_twists()
    {
        var bending = 397.169 * 1000 / MountFrame.ReceiverBar.SxMm3;
        Near(bending, 26.5912);
        var twist = MountFrame.Twisted(73.5499);
        Near(twist, 2.93113);
        Near(MountFrame.Equivalent(bending, twist), 27.0715);
    }

    /// <summary>Whatever is typed in its ranges, every kind on every rig is judged, finite and in order.</summary>
    [Fact]
    public void Any_mount_is_judged()
    {
        var any = from kind in Gen.Enum<MountKind>()
                  from rig in Gen.Enum<RigKind>()
                  from how in Gen.Enum<FixingKind>()
                  from held in Gen.Enum<FixedTo>()
                  from arm in Gen.Enum<Profile>()
                  from strut in Gen.Enum<Profile>()
                  from stand in Gen.Double[0.001, 2]
                  from wide in Gen.Double[0.1, 3]
                  select (kind, rig, how, held, arm, strut, stand, wide);
        any.Each(c =>
        {
            var mount = Assessor.Assess(NewcomersVan.Design with
            {
                Survey = NewcomersVan.Design.Survey with { Kind = c.rig },
                Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" },
                Mount = new MountDesign
                {
                    Frame = new FrameDesign { Kind = c.kind, Arm = c.arm, Strut = c.strut, StandM = c.stand, BaseWideM = c.wide },
                    Fixing = new FixingDesign { How = c.how, Into = c.held },
                },
            }).Mount!;
            mount.Parts.ShouldAllBe(p => double.IsFinite(p.Used) && double.IsFinite(p.Bears) && p.Used >= 0);
            mount.Parts.Select(p => p.Used).ShouldBe(mount.Parts.Select(p => p.Used).OrderDescending());
            mount.Verdict.Headline.ToString().ShouldNotBeEmpty();
            (mount.Workshop.Parts.Count == 0 || mount.Workshop.MassKg > 0).ShouldBeTrue();
        }, iter: 150);
    }
}
