using CsCheck;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Plan;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>A way out of Layout or Mount takes away the finding that offers it, whatever rig it is offered on.</summary>
public class DesignWaysOutTests
{
    private static readonly JobDesign Rig = NewcomersVan.Design with { Unit = NewcomersVan.Design.Unit with { Chosen = "MS-12-120" } };

    private static void Mends(JobDesign design, Func<JobAssessment, IStationResult?> station)
    {
        if (station(Assessor.Assess(design)) is not { } before)
            return;
        foreach (var finding in before.Findings)
            foreach (var way in finding.Remedies.Where(r => r.Changes.Count > 0))
            {
                var after = station(Assessor.Assess(WaysOutTests.Applied(design, way.Changes)))!;
                after.Findings.Count(f => f.Code == finding.Code).ShouldBeLessThan(before.Findings.Count(f => f.Code == finding.Code),
                    $"{finding.Code}: {finding.Words}\n  {way.Words}, {way.Effect}: "
                    + string.Join("; ", way.Changes.Select(c => $"{c.Path} = {c.Value?.ToJsonString()}"))
                    + $"\n  {string.Join("\n  ", after.Findings.Where(f => f.Code == finding.Code).Select(f => f.Words))}");
            }
    }

    /// <summary>Some fields of Wiring put anywhere in their ranges, on every preset and demo rig.</summary>
    [Fact]
    public void Of_the_wiring()
    {
        var fields = JobFile.Fields.Where(f => f.Path.StartsWith("/wiring/", StringComparison.Ordinal) && !f.Path.Contains('*') && f.Input != "list").ToList();
        Gen.Select(Gen.OneOfConst([.. AnyDesign.Named.Keys]), Gen.Select(Gen.Int[0, fields.Count - 1], Gen.Double[0, 1], (f, w) => new FieldAt(f,
            w)).Array[1, 8])
            .Each((rig, changes) =>
            {
                var root = (System.Text.Json.Nodes.JsonObject)System.Text.Json.Nodes.JsonNode.Parse(JobFile.Write(AnyDesign.Named[rig]))!;
                foreach (var (field, where) in changes)
                    AnyDesign.Put(root, fields[field], where);
                Mends(JobFile.Read(root.ToJsonString()), a => a.Wiring);
            }, iter: 150);
    }

    /// <summary>Some fields of Plan put anywhere, any crew, on every preset and demo rig: a way out takes its finding away, or ends when it says.</summary>
    [Fact]
    public void Of_the_plan()
    {
        var fields = JobFile.Fields.Where(f => f.Path.StartsWith("/plan/",
            StringComparison.Ordinal) && !f.Path.Contains('*') && f.Input is not ("list" or "date"))
            .ToList();
        var person = Gen.Select(Gen.Enum<Licence>(), Gen.Bool, (licence, helper) => new CrewDesign { Licence = licence, Helper = helper });
        Gen.Select(Gen.OneOfConst([.. AnyDesign.Named.Keys]), Gen.Select(Gen.Int[0, fields.Count - 1], Gen.Double[0, 1], (f, w) => new FieldAt(f,
            w)).Array[0, 4],
            person.Array[0, 6], Gen.Int[0, 30]).Each((rig, changes, crew, ordered) =>
        {
            var root = (System.Text.Json.Nodes.JsonObject)System.Text.Json.Nodes.JsonNode.Parse(JobFile.Write(AnyDesign.Named[rig]))!;
            foreach (var (field, where) in changes)
                AnyDesign.Put(root, fields[field], where);
            var design = JobFile.Read(root.ToJsonString()) is var d ? d with
            {
                Plan = d.Plan with { Crew = crew, When = d.Plan.When with { FirstDay = "2027-03-02", OrderedOn = $"2027-02-{1 + ordered % 28:00}" } },
            } : null!;
            foreach (var finding in Assessor.Assess(design).Plan?.Findings ?? [])
                foreach (var way in finding.Remedies)
                {
                    var after = JobFile.Read(JobFile.Write(WaysOutTests.Applied(design, way.Changes)));
                    var assessed = Assessor.Assess(after);
                    var plan = assessed.Plan.ShouldNotBeNull();
                    if (finding.Code is "not.today" or "roof.heat" or "days.none")
                        way.Effect.ToString().ShouldBe($"done {PlanMaker.When(PlanStation.Setting(after, assessed)!, plan.Ends!.Value)}");
                    else
                        plan.Findings.Count(f => f.Code == finding.Code && f.Words.ToString() == finding.Words.ToString()).ShouldBe(0,
                            $"{finding.Words}: {way.Words}");
                }
        }, iter: 120);
    }

    [Fact]
    public void Of_the_mount()
    {
        var any = from kind in Gen.Enum<MountKind>()
                  from rig in Gen.OneOfConst(RigKind.Van, RigKind.Boat, RigKind.Cabin)
                  from arm in Gen.Enum<Profile>()
                  from strut in Gen.Enum<Profile>()
                  from metal in Gen.Enum<MountMetal>()
                  from kg in Gen.Double[10, 250]
                  from held in Gen.Select(Gen.Enum<FixingKind>(), Gen.Enum<FixedTo>(), Gen.Enum<BoltSize>(), Gen.Int[1, 3], Gen.Double[0.0005, 0.004])
                  from out_ in Gen.Select(Gen.Double[0.1, 0.8], Gen.Double[0.1, 0.8], Gen.Double[0.1, 0.8], Gen.Double[0.001, 0.01])
                  from feet in Gen.Select(Gen.Double[2e3, 1e6], Gen.Enum<BoltSize>())
                  from slab in Gen.Select(Gen.Double[0.3, 1], Gen.Double[0.03, 0.2], Gen.Double[0, 20], Gen.Double[-2, 30])
                  select (kind, rig, arm, strut, metal, kg, held, out_, feet, slab);
        any.Each(c =>
        {
            var (how, into, size, row, rib) = c.held;
            Mends(Rig with
            {
                Survey = Rig.Survey with { Kind = c.rig },
                Unit = Rig.Unit with { Sheets = [new UnitSheetDesign { Unit = "MS-12-120", Outdoor = new OutdoorSheet { MassKg = c.kg } }] },
                Mount = new MountDesign
                {
                    Frame = new FrameDesign
                    {
                        Kind = c.kind,
                        Metal = c.metal,
                        Arm = c.arm,
                        Strut = c.strut,
                        StrutOutM = c.out_.Item1,
                        StrutDownM = c.out_.Item2,
                        SlotToM = c.out_.Item3,
                        WeldM = c.out_.Item4,
                        Surface = TouchingMetal.Stainless304,
                        Skin = TouchingMetal.Aluminium,
                    },
                    Fixing = new FixingDesign
                    {
                        How = how,
                        Into = into,
                        Size = size,
                        InRow = row,
                        RibM = rib,
                        ThreadM = 0.03,
                        PullN = 900,
                        Locked = false,
                        Sleeved = false,
                    },
                    Feet = new FeetDesign { EachNm = c.feet.Item1, Bolt = c.feet.Item2, Captive = false },
                    Bear = new MustBearDesign { GustMs = 40, ShockG = 0.5 },
                    Slab = new SlabDesign { WidthM = c.slab.Item1, ThickM = c.slab.Item2, Days = c.slab.Item3, SetsC = c.slab.Item4 },
                    Railing = new RailingDesign { CableN = 800 },
                },
            }, a => a.Mount);
        }, iter: 120);
    }

    /// <summary>Taken, the lightest weighs what it says and every part of arms and struts bears.</summary>
    [Fact]
    public void The_lightest_mount_is_as_light_as_it_says()
    {
        Gen.Select(Gen.Double[10, 90], Gen.Enum<MountMetal>(), Gen.OneOfConst(MountKind.Braced, MountKind.Plain, MountKind.DeckStand, MountKind.RoofFrame),
            Gen.Double[0.001, 0.01]).Each((kg, metal, kind, weld) =>
        {
            var design = Rig with
            {
                Unit = Rig.Unit with { Sheets = [new UnitSheetDesign { Unit = "MS-12-120", Outdoor = new OutdoorSheet { MassKg = kg } }] },
                Mount = new MountDesign { Frame = new FrameDesign { Kind = kind, Metal = metal, WeldM = weld, Arm = Profile.Tube50Heavy } },
            };
            var before = Assessor.Assess(design).Mount!;
            if (before.TakeLightest is not { } taken)
                return;
            var after = Assessor.Assess(WaysOutTests.Applied(design, taken.Changes)).Mount!;
            after.Workshop.MassKg.ShouldBe(before.Lightest.MassKg, 1e-9);
            after.Parts.Where(p => p.Element is MountElement.Arm or MountElement.Strut or MountElement.Rail or MountElement.Leg or MountElement.Weld)
                .ShouldAllBe(p => p.Used <= 1);
            after.TakeLightest.ShouldBeNull("it is built so");
        }, iter: 60);
    }

    [Fact]
    public void Of_the_layout()
    {
        var any = from width in Gen.Double[1.2, 4]
                  from thick in Gen.Double[0.01, 0.4]
                  from left in Gen.Double[0, 3]
                  from low in Gen.Double[0, 2.2]
                  from thing in Gen.Select(Gen.Enum<ThingKind>(), Gen.Enum<ThingPlace>(), Gen.Double[0, 3], Gen.Double[0.3, 2])
                  from exit in Gen.Enum<HeadExit>()
                  from hole in Gen.Select(Gen.Double[0.03, 0.12], Gen.Double[-0.03, 0.06])
                  from spot in Gen.Select(Gen.Double[-2, 5], Gen.Double[0, 0.5], Gen.Enum<Blows>())
                  from line in Gen.Select(Gen.Enum<LineKind>(), Gen.Double[1, 20], Gen.Bool)
                  from drain in Gen.Select(Gen.Enum<DrainBy>(), Gen.Double[-1, 2.5], Gen.Double[0, 10], Gen.Bool)
                  select (width, thick, left, low, thing, exit, hole, spot, line, drain);
        any.Each(c => Mends(Rig with
        {
            Layout = new LayoutDesign
            {
                Wall = new WallDesign
                {
                    WidthM = c.width,
                    CeilingM = 2,
                    ThicknessM = c.thick,
                    Things = [new ThingDesign { Kind = c.thing.Item1, Place = c.thing.Item2, LeftM = c.thing.Item3, LowM = c.thing.Item4 }],
                },
                Head = new HeadSpotDesign { LeftM = c.left, LowM = c.low, Exit = c.exit, HoleM = c.hole.Item1, FallM = c.hole.Item2 },
                Outdoor = new OutdoorSpotDesign { RightM = c.spot.Item1, OffM = c.spot.Item2, Blows = c.spot.Item3 },
                Line = new LineDesign { Kind = c.line.Item1, KitM = c.line.Item2, SealBroken = c.line.Item3 },
                Drain = new DrainDesign { By = c.drain.Item1, EndUpM = c.drain.Item2, PitchDeg = c.drain.Item3, AlarmWired = c.drain.Item4, CoverRoomM = 0 },
            },
        }, a => a.Layout), iter: 150);
    }
}
