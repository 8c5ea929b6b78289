using System.Text.Json;
using System.Text.Json.Nodes;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>What runs over all stations follows from what each says of itself.</summary>
public class StationRegistryTests
{
    /// <summary>A station that exists in this test only.</summary>
    private sealed record PaintAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, double Litres) : IStationResult;

    private sealed record PaintValues : DesignPart
    {
        [Field(QuantityKind.Volume, 0, 1, Label = "Paint used", Optional = true)] public double? UsedM3 { get; init; }
    }

    private sealed record PaintRecord(Guid Id, DateTimeOffset At, string By, PaintValues Used, Guid? Corrects) : StationRecord(Id, At, By, Corrects)
    {
        public static readonly RecordKind Kind =
            new RecordKind<PaintRecord, PaintValues>("painting", "figure of a painting", (h, used) => new PaintRecord(h.Id, h.At, h.By, used, h.Corrects));

        public override DesignPart Values => Used;
    }

    private sealed class PaintStation : Station<PaintAssessment>
    {
        public int Runs { get; private set; }
        public override string Name => "paint";
        public override StationPhase Phase => StationPhase.Build;
        public override IReadOnlyList<Type> Reads => [typeof(UnitAssessment), typeof(SurveyDesign), typeof(PaintRecord)];
        public override IReadOnlyList<RecordKind> Keeps => [PaintRecord.Kind];

        public override IStationResult Assess(StationInputs job)
        {
            Runs++;
            var litres = 0.1 * job.Design<SurveyDesign>().Space.LengthM + job.Result<UnitAssessment>().Unit.MassKg / 100
                - 1000 * job.Records<PaintRecord>().Sum(r => r.Used.UsedM3 ?? 0);
            return new PaintAssessment(new Verdict(StationState.Stop, Phrase.Of($"Too little paint."), Phrase.Of($"")),
                [new Finding("paint.little", Severity.Stop, Phrase.Of($"It needs more."), [])], litres);
        }

        public override IEnumerable<LedgerEntry> Ledger(StationInputs job) =>
            [new LedgerEntry
            {
                Id = "paint",
                Station = Name,
                Value = new Measure(job.Result<PaintAssessment>().Litres, QuantityKind.Volume),
                Note = Phrase.Of($""),
                Limit = Phrase.Of($""),
                Share = null,
                Mark = null,
                MoreIsBetter = null,
                State = StationState.Stop,
            }];

        public override IEnumerable<SheetBlock> Sheet(StationInputs job) =>
        [
            new SheetBlock(SheetPlace.Fitted, "Painted", SheetForm.Pairs, [SheetLine.Pair("Colour", Phrase.Of($"cream"))]),
            new SheetBlock(SheetPlace.Cautions, "Cautions", SheetForm.Bullets, [SheetLine.Sentence(Phrase.Of($"The paint is wet until tomorrow."))]),
        ];
    }

    private static (StationRegistry Registry, PaintStation Paint) WithPaint()
    {
        var paint = new PaintStation();
        return (new StationRegistry([.. StationRegistry.Standard.All.TakeWhile(s => s.Name != "handover"), paint,
            .. StationRegistry.Standard.All.Where(s => s.Name == "handover")]), paint);
    }

    [Fact]
    public void A_new_station_is_found_everywhere()
    {
        var (registry, _) = WithPaint();
        var a = Assessor.Assess(NewcomersVan.Design, registry: registry);
        a.States["paint"].ShouldBe(StationState.Stop);
        a.Ledger.ShouldContain(e => e.Id == "paint" && e.Station == "paint");
        a.Ledger.TakeLast(2).Select(e => e.Id).ShouldBe(["weight", "hours"], "sums stand last");
        a.Worst!.Code.ShouldBe("paint.little");
        a.Handover!.Draft.ShouldBeTrue("its stop keeps the owner's sheet a draft");
        a.Handover.Blocks.Single(b => b.Heading == "Painted").Lines.Single().Value.ToString().ShouldBe("cream");
        a.Handover.Blocks.Single(b => b.Heading == "Cautions").Lines.ShouldContain(l => l.Value.ToString().StartsWith("The paint"));
        var written = JsonSerializer.SerializeToNode(a, registry.Json)!.AsObject();
        ((double)written["paint"]!["litres"]!).ShouldBeGreaterThan(0);
        written.Select(p => p.Key).Take(13).ShouldBe(
            ["survey", "load", "unit", "start", "energy", "layout", "mount", "wiring", "plan", "install", "commission", "paint", "handover"]);
    }

    [Fact]
    public void Records_of_a_new_kind_reach_their_station_and_no_other_is_run_for_them()
    {
        var (registry, _) = WithPaint();
        registry.KindNamed("painting")!.Fields.Single().Label.ShouldBe("Paint used");
        var record = registry.KindNamed("painting")!.Read(
            new RecordHead(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", null), JsonNode.Parse("""{"usedM3":0.002}""")!);
        var before = Assessor.Assess(NewcomersVan.Design, registry: registry);
        var after = Assessor.Assess(NewcomersVan.Design, [record], before, registry);
        after.Of<PaintAssessment>()!.Litres.ShouldBe(before.Of<PaintAssessment>()!.Litres - 2, 1e-9);
        after.Commission.ShouldBeSameAs(before.Commission);
        var wire = JsonSerializer.SerializeToNode<IReadOnlyList<StationRecord>>([record], registry.Json)!;
        ((string)wire[0]!["kind"]!).ShouldBe("painting");
        ((double)wire[0]!["used"]!["usedM3"]!).ShouldBe(0.002);
    }

    [Fact]
    public void A_new_station_waits_for_what_it_reads()
    {
        var (registry, paint) = WithPaint();
        var a = Assessor.Assess(NewcomersVan.Design with { Unit = new UnitDesign { Chosen = "none such" } }, registry: registry);
        a.Faults.Single(f => f.Station == "paint").Verdict.Headline.ToString().ShouldBe("Waits for Unit.");
        var refused = a.Faults.Single(f => f.Station == "unit").Verdict.Headline;
        a.Faults.Where(f => f.Station != "unit").ShouldAllBe(f => f.Verdict.Detail == refused, "each that waits says what it all hangs on");
        paint.Runs.ShouldBe(0);
        JsonSerializer.SerializeToNode(a, registry.Json)!["paint"].ShouldBeNull();
    }

    [Fact]
    public void A_station_that_reads_nothing_that_changed_is_not_run_again()
    {
        var (registry, paint) = WithPaint();
        var van = NewcomersVan.Design;
        var first = Assessor.Assess(van, registry: registry);
        var warmer = van with { Energy = van.Energy with { SetpointC = van.Energy.SetpointC + 1 } };
        var second = Assessor.Assess(warmer, before: first, registry: registry);
        paint.Runs.ShouldBe(1);
        second.Load.ShouldBeSameAs(first.Load);
        second.Start.ShouldBeSameAs(first.Start);
        second.Energy.ShouldNotBeSameAs(first.Energy);
        second.Handover.ShouldNotBeSameAs(first.Handover);
        var longer = warmer with { Survey = warmer.Survey with { Space = warmer.Survey.Space with { LengthM = 7 } } };
        Assessor.Assess(longer, before: second, registry: registry);
        paint.Runs.ShouldBe(2);
    }

    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    /// <summary>One field of each part changed, one after another, on every rig: what is taken from before is what would have been found.</summary>
    [Theory]
    [MemberData(nameof(Rigs))]
    public void What_is_taken_from_before_is_what_would_have_been_found(string rig)
    {
        var design = AnyDesign.Named[rig];
        Func<JobDesign, JobDesign>[] edits =
        [
            d => d with { Name = "renamed" },
            d => d with { Start = d.Start with { ReserveSoc = 0.25 } },
            d => d with { Energy = d.Energy with { SetpointC = 26.5 } },
            d => d with { Load = d.Load with { HumidityPct = 55 } },
            d => d with { Unit = d.Unit with { AirFlowShare = 0.85 } },
            d => d with { Survey = d.Survey with { Place = d.Survey.Place with { DryBulbC = 36.5 } } },
            d => d with { Handover = d.Handover with { Remarks = "Clean the filter." } },
            d => d with { Unit = d.Unit with { Chosen = "none such" } },
            d => d with { Unit = d.Unit with { Chosen = "RT-11-115" } },
        ];
        var known = Assessor.Assess(design);
        foreach (var edit in edits)
        {
            design = edit(design);
            known = Assessor.Assess(JobFile.Read(JobFile.Write(design)), before: known);
            Written(known).ShouldBe(Written(Assessor.Assess(design)));
        }
    }

    [Fact]
    public void A_record_written_since_is_read()
    {
        var van = NewcomersVan.Design;
        var before = Assessor.Assess(van);
        CommissionRecord[] log = [new(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", new StartUpReadings { RunA = 9 }, null)];
        var after = Assessor.Assess(van, log, before);
        after.Commission!.Records.ShouldBe(1);
        after.Energy.ShouldBeSameAs(before.Energy);
        Written(after).ShouldBe(Written(Assessor.Assess(van, log)));
    }

    private static string Written(JobAssessment a) => JsonSerializer.Serialize(a, StationRegistry.Standard.Json);
}
