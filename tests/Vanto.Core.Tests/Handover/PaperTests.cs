using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Handover;

/// <summary>Codes, the way down, readiness and papers; sources beside each check.</summary>
public class PaperTests
{
    [Fact] // ISO/IEC 7064 MOD 37,36: published example of its use for release identifiers, from memory
    public void The_check_character_is_that_of_the_standard()
    {
        JobCode.Check("A12425GABC1234002").ShouldBe('M');
        JobCode.Check("7K3M9QXA").ShouldBe('Y');
        JobCode.Check("ZZZZZZZZ").ShouldBe('Q');
        JobCode.Check("V2N8T0JD").ShouldBe('C');
        JobCode.Check("00000000").ShouldBe('Y');
        JobCode.Spelled(0x123456789A, 8).ShouldBe("28T5CY4T");
        JobCode.Of(0x123456789A).ShouldBe("28T5CY4TM");
    }

    [Fact]
    public void Every_single_slip_in_a_code_is_refused()
    {
        const string code = "7K3M9QXAY", signs = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
        JobCode.Read("7k3m-9qxa-y").ShouldBe(code);
        JobCode.Printed(code).ShouldBe("7K3M-9QXA-Y");
        for (var at = 0; at < 8; at++)
            foreach (var sign in signs.Where(s => s != code[at]))
                Should.Throw<InputException>(() => JobCode.Read(code[..at] + sign + code[(at + 1)..]));
        for (var at = 0; at < 7; at++)
            if (code[at] != code[at + 1])
                Should.Throw<InputException>(() => JobCode.Read($"{code[..at]}{code[at + 1]}{code[at]}{code[(at + 2)..]}"));
        Should.Throw<InputException>(() => JobCode.Read("7K3M")).Message.ShouldContain("9 signs");
        JobCode.Read("7K3M 9QXA Y").ShouldBe(code);
    }

    [Fact] // energy balance; computed outside this project
    public void The_way_down_of_a_battery()
    {
        var rungs = LowBattery.Of([new(0.80, "", 320, 90), new(0.45, "", 230, 90), new(0.35, "", 25, 90), new(0.25, "", 0, 90)], 5120, 1, 0.15, 0.9, 20);
        rungs.Select(r => Math.Round(r.Hours, 5)).ShouldBe([3.76822, 1.36331, 3.46466, 4.26667]);
        rungs[^1].SumHours.ShouldBe(12.8629, 1e-4);
        var other = LowBattery.Of([new(0.60, "", 180, 60), new(0.40, "", 120, 60), new(0.30, "", 25, 60), new(0.20, "", 0, 60)], 10240, 0.85, 0.10, 0.92, 25);
        other[^1].SumHours.ShouldBe(27.0965, 1e-4);
        var split = LowBattery.Of([new(0.80, "", 320, 90), new(0.60, "", 320, 90), new(0.45, "", 230, 90), new(0.35, "", 25, 90), new(0.25, "", 0, 90)],
            5120, 1, 0.15, 0.9, 20);
        split[^1].SumHours.ShouldBe(rungs[^1].SumHours, 1e-9);
    }

    [Theory] // energy balance; computed outside this project
    [InlineData(10, 25.3191, 25.5)]
    [InlineData(12, 26.7700, 27)]
    [InlineData(5, 22, 22)]
    public void The_warmest_set_point_that_lasts(double hours, double exact, double printed)
    {
        (double, double)[] table = [(22, 420), (24, 320), (26, 230), (28, 150)];
        var allowed = LowBattery.AllowedW(hours, 5120, 1, 0.95, 0.15, 0.9, 20, 90);
        LowBattery.Lasts(table, allowed)!.Value.ShouldBe(exact, 1e-3);
        LowBattery.PrintedC(LowBattery.Lasts(table, allowed)!.Value).ShouldBe(printed);
        LowBattery.Lasts(table, LowBattery.AllowedW(15, 5120, 1, 0.95, 0.15, 0.9, 20, 90)).ShouldBeNull();
    }

    private static readonly DateTimeOffset Noon = new(2027, 3, 2, 12, 0, 0, TimeSpan.Zero);

    [Fact]
    public void M59_nothing_is_ready_before_it_is_read_and_seen()
    {
        var van = RigPresets.New(RigKind.Van, "Knot");
        var bare = Assessor.Assess(van, []).Handover!;
        bare.Ready.Single(r => r.Id == "drain").Met.ShouldBeFalse();
        bare.Ready.Single(r => r.Id == "built").Met.ShouldBeFalse("what nobody looked at is not as drawn");
        StationRecord Start(StartUpReadings readings) => new CommissionRecord(Guid.NewGuid(), Noon, "Piet", readings, null);
        var drained = Assessor.Assess(van, [Start(new StartUpReadings { DrainPouredM3 = 1.2e-3, DrainOutM3 = 1.15e-3 })]).Handover!;
        drained.Ready.Single(r => r.Id == "drain").Met.ShouldBeTrue();
        var caution = bare.Unseen.FirstOrDefault();
        caution.ShouldNotBeNull("a preset has a caution");
        var seen = Assessor.Assess(van, [new SeenRecord(Guid.NewGuid(), Noon, "Piet", new SeenValues { Code = caution.Code }, null)]).Handover!;
        seen.Unseen.ShouldNotContain(f => f.Code == caution.Code);
    }

    [Fact]
    public void As_built_is_held_against_the_drawing_by_its_tolerance()
    {
        var van = RigPresets.New(RigKind.Van, "Knot");
        var row = Assessor.Assess(van, []).Handover!.Built.First(b => b.Item.StartsWith("cable", StringComparison.Ordinal));
        BuiltRow Built(double off)
        {
            var record = new BuiltRecord(Guid.NewGuid(), Noon, "Piet", new BuiltValues { Item = row.Item, LengthM = row.Drawn.Value + off }, null);
            return Assessor.Assess(van, [record]).Handover!.Built.Single(b => b.Item == row.Item);
        }

        Built(0.25).Level.ShouldBeNull();
        Built(5).Level.ShouldBe(Severity.Note);
        var confirmed = new BuiltRecord(Guid.NewGuid(), Noon, "Piet", new BuiltValues { Item = row.Item, Same = true, LengthM = row.Drawn.Value }, null);
        Assessor.Assess(van, [confirmed]).Handover!.Built.Single(b => b.Item == row.Item).ShouldSatisfyAllConditions(b => b.Confirmed.ShouldBeTrue(),
            b => b.Level.ShouldBeNull());
        var redrawn = van with { Wiring = van.Wiring with { Branch = van.Wiring.Branch with { RouteM = row.Drawn.Value + 4 } } };
        Assessor.Assess(redrawn, [confirmed]).Handover!.Built.Single(b => b.Item == row.Item).Level
            .ShouldBe(Severity.Note, "what was confirmed stays what it was when the drawing is changed");
        var breaker = Assessor.Assess(van, []).Handover!.Built.First(b => b.Item.StartsWith("breaker", StringComparison.Ordinal));
        foreach (var values in (BuiltValues[])[new() { CurrentA = breaker.Drawn.Value + 5 }, new() { Number = breaker.Drawn.Value + 5 }])
            Assessor.Assess(van, [new BuiltRecord(Guid.NewGuid(), Noon, "Piet", values with { Item = breaker.Item }, null)]).Handover!.Built
                .Single(b => b.Item == breaker.Item).Level.ShouldBe(Severity.Caution, "also as a plain number, as it was written down earlier");
    }

    /// <summary>What was built otherwise is drawn so by its button: the row then agrees, and the whole is reckoned with it.</summary>
    [Fact]
    public void What_was_built_otherwise_is_drawn_so_and_then_agrees()
    {
        var drawn = 0;
        foreach (var design in AnyDesign.Named.Values)
            foreach (var row in Assessor.Assess(design, []).Handover?.Built ?? [])
                foreach (var figure in new[] { Math.Ceiling(row.Drawn.Value * 1.4 + 1), 90000 })
                {
                    var values = new BuiltValues { Item = row.Item };
                    values = row.Field switch
                    {
                        "lengthM" => values with { LengthM = figure },
                        "kg" => values with { Kg = figure },
                        "currentA" => values with { CurrentA = figure },
                        _ => values with { Number = figure }
                    };
                    var record = new BuiltRecord(Guid.NewGuid(), Noon, "Piet", values, null);
                    var built = Assessor.Assess(design, [record]).Handover!.Built.Single(b => b.Item == row.Item);
                    if (built.Take is not { } take)
                        continue;
                    figure.ShouldBeLessThan(90000, "no figure out of its range is drawn");
                    drawn++;
                    var after = Assessor.Assess(design.With(take.Edit), [record]);
                    if (after.Handover?.Built.SingleOrDefault(b => b.Item == row.Item) is { } agreed)
                        (agreed.Level, agreed.Take).ShouldBe((null, null), $"{design.Name}: {row.Label}");
                }
        drawn.ShouldBeGreaterThan(15);
    }

    [Fact]
    public void A_paper_is_numbered_replaced_and_grows_stale()
    {
        PaperRecord Paper(DateTimeOffset at, string number, string instead = "") => new(Guid.NewGuid(), at, "Piet",
            new PaperValues { Kind = PaperKind.Circuit, Number = number, Supersedes = instead }, null);
        var first = Paper(Noon, "7K3M9QXAY-CIRCUIT-01");
        Papers.Next("7K3M9QXAY", PaperKind.Circuit, "7QF4M", []).ShouldBe(("7K3M9QXAY-CIRCUIT-7QF4M-01", ""));
        Papers.Next("7K3M9QXAY", PaperKind.Circuit, "7QF4M", [first]).ShouldBe(("7K3M9QXAY-CIRCUIT-7QF4M-01", "7K3M9QXAY-CIRCUIT-01"));
        var later = new VacuumRecord(Guid.NewGuid(), Noon.AddHours(1), "Piet", new VacuumValues { Value = 400 }, null);
        Papers.Of([first], [later]).Single().Stale.ShouldBeTrue();
        var second = Paper(Noon.AddHours(2), "7K3M9QXAY-CIRCUIT-02", "7K3M9QXAY-CIRCUIT-01");
        var rows = Papers.Of([first, second], [later]);
        rows.Select(r => (r.Number, r.Standing, r.Stale)).ShouldBe([("7K3M9QXAY-CIRCUIT-02", true, false), ("7K3M9QXAY-CIRCUIT-01", false, true)]);
    }

    [Fact]
    public void Fuller_and_warmer_lasts_no_shorter()
    {
        var van = RigPresets.New(RigKind.Van, "Knot");
        van = van with { Survey = van.Survey with { Sources = van.Survey.Sources with { Battery = van.Survey.Sources.Battery with { Fitted = true } } } };
        var unit = Assessor.Assess(van, []).Unit!.Unit;
        FromNowView At(double charge) => FromNow.Of(new EnergyInputs(van.Survey, van.Load, van.Unit, unit, van.Energy, van.Start.ReserveSoc), charge, 2);
        var (low, full) = (At(0.4), At(0.9));
        (full.Ways[0].Hours ?? 24).ShouldBeGreaterThanOrEqualTo(low.Ways[0].Hours ?? 24);
        (low.Ways[1].Hours ?? 24).ShouldBeGreaterThanOrEqualTo((low.Ways[0].Hours ?? 24) - 0.26);
        low.Off.ShouldContain("the air conditioner");
        Should.Throw<InputException>(() => At(0));
        Should.Throw<InputException>(() => FromNow.Of(new EnergyInputs(van.Survey, van.Load, van.Unit, unit, van.Energy, 0.2), 0.5, 24));
    }
}
