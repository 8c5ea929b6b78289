using System.Text.Json.Nodes;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Job;

/// <summary>What a way out promises is what it brings, and it breaks no station.</summary>
public class WaysOutTests
{
    /// <summary>A design with changes made as the server makes them.</summary>
    internal static JobDesign Applied(JobDesign design, IEnumerable<DesignChange> changes)
    {
        var root = JsonNode.Parse(JobFile.Write(design))!;
        foreach (var change in changes)
            DesignPath.Set(root, DesignPath.Field(change.Path), change.Value);
        return JobFile.Read(root.ToJsonString());
    }

    public static TheoryData<string> Rigs => [.. AnyDesign.Named.Keys];

    /// <summary>Every way out and every measure that a rig is offered, with where it is offered.</summary>
    private static IEnumerable<(string At, DesignEdit Edit)> Offers(JobAssessment a)
    {
        IEnumerable<Finding> findings =
            [.. a.Survey?.Findings ?? [], .. a.Load?.Findings ?? [], .. a.Unit?.Findings ?? [], .. a.Start?.Findings ?? [], .. a.Energy?.Findings ?? [],
                .. a.Layout?.Findings ?? [], .. a.Mount?.Findings ?? [], .. a.Wiring?.Findings ?? []];
        foreach (var finding in findings)
            foreach (var way in finding.Remedies.Where(r => r.Changes.Count > 0))
                yield return ($"{finding.Code}: {way.Words}", way.Edit);
        if (a.Mount?.TakeLightest is { } lightest)
            yield return ("the lightest mount", lightest.Edit);
        foreach (var measure in a.Load?.Measures ?? [])
            yield return (measure.Id, measure.Edit);
        if (a.Load?.Together is { } together)
            yield return ("all measures together", together.Edit);
        foreach (var trial in a.Start is { } start ? start.Remedies.Where(t => t.Changes.Count > 0) : [])
            yield return (trial.Id, trial.Edit);
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void No_way_out_breaks_a_station_that_stood(string rig)
    {
        var design = AnyDesign.Named[rig];
        var before = Assessor.Assess(design);
        foreach (var (at, edit) in Offers(before))
        {
            var after = Assessor.Assess(design.With(edit));
            after.Faults.Where(f => before.Faults.All(b => b.Station != f.Station)).Select(f => $"{at} breaks {f.Station}: {f.Verdict.Headline}")
                .ShouldBeEmpty();
        }
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void What_goes_over_the_wire_makes_the_design_that_the_way_out_was_tried_with(string rig)
    {
        var design = AnyDesign.Named[rig];
        foreach (var (at, edit) in Offers(Assessor.Assess(design)).Concat(Acts(design)))
            JobFile.Write(Applied(design, edit.Changes)).ShouldBe(JobFile.Write(design.With(edit)), at);
    }

    /// <summary>Everything a person can do to a rig in one go.</summary>
    private static IEnumerable<(string At, DesignEdit Edit)> Acts(JobDesign design)
    {
        yield return ("keep", Proposals.KeepOption(design, "kept today"));
        yield return ("strings", Proposals.Strings(design, 2, 3));
        yield return ("months", Proposals.BeginMonths(design));
        yield return ("week", Proposals.LookAt(design, 7, 4));
        yield return ("place", Proposals.PlaceOf(design, new WeatherPlace("Dune Flat", 31.5, -104.25, -6, 812), new WeatherDesignDay(39.5, 24.5, -6)));
        foreach (var source in SourceCatalogue.All)
            yield return (source.Id, SourceCatalogue.Take(design.Survey, source.Id));
        foreach (var option in design.Options)
        {
            yield return ($"adopt {option.Name}", Proposals.AdoptOption(design, option.Name));
            yield return ($"drop {option.Name}", Proposals.DropOption(design, option.Name));
        }
        var (before, after) = LimitedPower.Order(design.Survey);
        foreach (var device in before.Concat(after))
            yield return ($"shed {device.Device.Name} earlier", Proposals.ShedEarlier(design, device.Row));
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void A_measure_takes_off_the_peak_what_it_says(string rig)
    {
        var design = AnyDesign.Named[rig];
        var before = Assessor.Assess(design).Load!;
        foreach (var measure in before.Measures)
        {
            var after = Assessor.Assess(Applied(design, measure.Changes)).Load!;
            (after.PeakW - before.PeakW).ShouldBe(measure.PeakChangeW, 0.02 * before.PeakW, $"{measure.Id} of {before.PeakW:0} W");
        }
    }

    /// <summary>A rig as it is and with less than it needs: a weak bank, no soft starter, on each source in turn, with several units.</summary>
    private static IEnumerable<JobDesign> Needy(string rig)
    {
        var design = AnyDesign.Named[rig];
        yield return design;
        var sources = design.Survey.Sources;
        sources = sources with
        {
            Battery = sources.Battery with { Fitted = true, Blocks = 1 },
            Inverter = sources.Inverter with { Fitted = true, RatedW = Math.Min(sources.Inverter.RatedW, 1500) },
            Generator = sources.Generator with { Fitted = true },
            Shore = sources.Shore with { PluggedIn = true },
        };
        foreach (var on in Enum.GetValues<SourceChoice>())
            foreach (var unit in new[] { design.Unit.Chosen, "RT-13-115", "MS-12-120" })
                yield return design with
                {
                    Survey = design.Survey with { Sources = sources },
                    Unit = design.Unit with { Chosen = unit },
                    Start = design.Start with { On = on, Remedy = StartRemedy.None },
                };
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void A_start_that_is_tried_ends_so_when_it_is_taken(string rig)
    {
        foreach (var design in Needy(rig))
            foreach (var trial in Assessor.Assess(design).Start?.Remedies.Where(t => t.Changes.Count > 0) ?? [])
            {
                var after = Assessor.Assess(Applied(design, trial.Changes)).Start!;
                after.Outcome.ShouldBe(trial.Outcome, $"{trial.Id}: {trial.Words}");
                after.MaxA.ShouldBe(trial.MaxA, 1e-6, $"{trial.Id}: {trial.Words}");
                after.SurgeUsed.ShouldBe(trial.SurgeUsed, 1e-6, $"{trial.Id}: {trial.Words}");
            }
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void Hours_that_a_way_out_of_the_night_promises_are_held_when_it_is_taken(string rig)
    {
        var promises = 0;
        foreach (var design in OnSmallBanks(AnyDesign.Named[rig]))
        {
            var before = Assessor.Assess(design).Energy!;
            foreach (var way in before.Findings.SelectMany(f => f.Remedies))
            {
                if (way.Changes.Count == 0 || !way.Effect.ToString().StartsWith('+') || way.Effect.Measures is not [{ Quantity: QuantityKind.Hours } hours])
                    continue;
                var after = Assessor.Assess(Applied(design, way.Changes)).Energy!;
                (after.HeldHours - before.HeldHours).ShouldBe(hours.Value, 0.02, $"{way.Words}");
                promises++;
            }
        }
        promises.ShouldBeGreaterThan(0);
    }

    /// <summary>A rig on one module and a bank of one block, from a very small one up.</summary>
    private static IEnumerable<JobDesign> OnSmallBanks(JobDesign design)
    {
        var sources = design.Survey.Sources;
        foreach (var blockAh in new[] { 20, 50, 100, 200 })
            yield return design with
            {
                Survey = design.Survey with
                {
                    Sources = sources with
                    {
                        Shore = new ShoreDesign(),
                        Generator = new GeneratorDesign(),
                        Modules = sources.Modules with { Count = 1 },
                        Battery = sources.Battery with { Fitted = true, Blocks = 1, BlockAh = blockAh },
                        Inverter = sources.Inverter with { Fitted = true },
                    },
                },
            };
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void A_stop_is_gone_when_a_way_out_of_it_that_claims_so_is_taken(string rig)
    {
        foreach (var design in Needy(rig))
            foreach (var finding in Assessor.Assess(design).Start?.Findings.Where(f => f.Level == Severity.Stop) ?? [])
                foreach (var way in finding.Remedies.Where(w => w.Changes.Count > 0))
                    Assessor.Assess(Applied(design, way.Changes)).Start!.Findings
                        .ShouldNotContain(f => f.Code == finding.Code && f.Level == Severity.Stop, $"{finding.Code}: {way.Words} ({way.Effect})");
    }

    [Fact]
    public void Foam_over_measured_ribs_takes_off_what_it_says_and_is_not_offered_again()
    {
        var ribs = new RibDesign { Measured = true };
        var van = NewcomersVan.Design;
        van = van with
        {
            Survey = van.Survey with
            {
                Roof = van.Survey.Roof with { ThermalBreak = false, Ribs = ribs },
                Walls = van.Survey.Walls with { ThermalBreak = false, Ribs = ribs }
            }
        };
        var before = Assessor.Assess(van).Load!;
        var foam = before.Measures.Single(m => m.Id == "break");
        var after = Assessor.Assess(Applied(van, foam.Changes)).Load!;
        (after.PeakW - before.PeakW).ShouldBe(foam.PeakChangeW, 0.02 * before.PeakW);
        foam.PeakChangeW.ShouldBeLessThan(-10);
        after.Measures.ShouldNotContain(m => m.Id == "break");
    }

    [Fact]
    public void Twice_the_insulation_is_offered_only_where_it_can_be_said()
    {
        var van = NewcomersVan.Design;
        JobDesign With(double metres) =>
            van with
            {
                Survey =
                van.Survey with { Roof = van.Survey.Roof with { InsulationM = metres }, Walls = van.Survey.Walls with { InsulationM = metres } }
            };
        Assessor.Assess(With(0.3)).Load!.Measures.ShouldNotContain(m => m.Id == "insulation");
        var offered = With(0.05);
        var insulation = Assessor.Assess(offered).Load!.Measures.Single(m => m.Id == "insulation");
        Applied(offered, insulation.Changes).Survey.Roof.InsulationM.ShouldBe(0.1);
    }

    [Fact]
    public void A_larger_inverter_leaves_behind_what_its_maker_said_of_the_smaller()
    {
        var van = NewcomersVan.Design;
        van = van with
        {
            Unit = new UnitDesign { Chosen = "RT-13-115" },
            Start = van.Start with { On = SourceChoice.Inverter, Remedy = StartRemedy.None },
            Survey = van.Survey with
            {
                Sources = van.Survey.Sources with
                {
                    Inverter = new InverterDesign { RatedW = 1000, Surge = [new SurgeDesign { PowerW = 2000, Seconds = 5 }] },
                    Battery = van.Survey.Sources.Battery with { Blocks = 12 }
                }
            },
        };
        var offer = Assessor.Assess(van).Start!.Findings.SelectMany(f => f.Remedies)
            .First(r => r.Changes.Any(c => c.Path == "/survey/sources/inverter/ratedW"));
        var taken = Applied(van, offer.Changes);
        taken.Survey.Sources.Inverter.Surge.ShouldBeEmpty();
        var after = Assessor.Assess(taken);
        after.Faults.ShouldBeEmpty();
        after.Start!.Outcome.ShouldBe(StartOutcome.Starts);
    }

    /// <summary>Whatever unit of the catalogue is chosen, on every rig.</summary>
    [Theory]
    [MemberData(nameof(Rigs))]
    public void Another_unit_that_is_offered_clears_what_it_is_offered_for(string rig)
    {
        foreach (var unit in UnitCatalogue.All)
        {
            var design = AnyDesign.Named[rig] with { Unit = AnyDesign.Named[rig].Unit with { Chosen = unit.Id } };
            var before = Assessor.Assess(design);
            foreach (var finding in before.Unit?.Findings.Concat(before.Start?.Findings ?? []) ?? [])
                foreach (var way in finding.Remedies.Where(r => r.Changes.Any(c => c.Path == "/unit/chosen")))
                {
                    var after = Assessor.Assess(design.With(way.Edit));
                    after.Unit!.Findings.Concat(after.Start?.Findings ?? [])
                        .ShouldNotContain(f => f.Code == finding.Code && f.Level >= Severity.Caution, $"{unit.Id}, {finding.Code}: {way.Words}");
                }
        }
    }

    public static TheoryData<string> Demo => ["Marigold", "Pipit", "Gannet's Rest"];

    /// <summary>What the search says of one step more, and of each kit of the frontier, is what it finds of the rig that has it.</summary>
    [Theory]
    [MemberData(nameof(Demo))]
    public void A_kit_that_is_taken_stands_as_it_was_said_to(string rig)
    {
        var design = AnyDesign.Named[rig];
        design = design with { Energy = design.Energy with { Sizing = design.Energy.Sizing with { MostModules = 11 } } };
        SizingResult Search(JobDesign d) => RigKitSearch.Rig(d)!(null, default);
        var found = Search(design);
        (found.Steps.Count * found.Frontier.Count).ShouldBeGreaterThan(0);
        foreach (var step in found.Steps)
        {
            var after = Search(design.With(step.Edit)).Steps[0].Before;
            after.Fails.ShouldBe(step.After.Fails, $"{step.Words}");
            (after.MinSoc ?? -1).ShouldBe(step.After.MinSoc ?? -1, 1e-6, $"{step.Words}");
            (after.GivesOutHour ?? -1).ShouldBe(step.After.GivesOutHour ?? -1, 1e-6, $"{step.Words}");
        }
        foreach (var point in found.Frontier)
        {
            var after = Search(design.With(point.Edit));
            for (var k = 0; k < after.Scenarios.Count; k++)
                (after.Scenarios[k].FittedMinSoc ?? -1).ShouldBe(point.MinSoc[k] ?? -1, 1e-6, $"{point.Kit}, {after.Scenarios[k].Words}");
        }
    }

    /// <summary>Searches that end in a stop, in ways of their own.</summary>
    public static TheoryData<string, string> Short => new()
    {
        { "Marigold", "few modules" }, { "Marigold", "noon" }, { "Marigold", "few blocks" }, { "Marigold", "dear" }, { "Marigold", "bare and dear" },
        { "Pipit", "few modules" }, { "Pipit", "few blocks" }, { "Gannet's Rest", "few modules" }, { "Gannet's Rest", "noon" },
        { "Gannet's Rest", "dark days" }, { "Marigold", "rooftop" },
    };

    private static JobDesign Shortened(string rig, string how)
    {
        var design = AnyDesign.Named[rig];
        design = design with
        {
            Survey = design.Survey with
            {
                Climate = design.Survey.Climate with { Months = [] },
                Sources = design.Survey.Sources with { Generator = design.Survey.Sources.Generator with { Fitted = false } },
            },
            Unit = how == "rooftop" ? design.Unit with { Chosen = "RT-13-115" } : design.Unit,
            Start = how == "rooftop" ? design.Start with { Remedy = StartRemedy.None, On = SourceChoice.Inverter } : design.Start,
            Energy = how == "noon" ? design.Energy with { From = 12, To = 18, SetpointC = 21, OtherwiseC = 23 } : design.Energy,
        };
        SizingDesign Of(SizingDesign s) => how switch
        {
            "few modules" => s with { MostModules = 1 },
            "few blocks" => s with { MostModules = 12, MostBatteries = 1, DarkDays = 2 },
            "dear" => s with { MostModules = 12, MostCost = 500 },
            "bare and dear" => s with { MostModules = 1, MostCost = 2500 },
            "dark days" => s with { MostModules = 12, DarkDays = 14 },
            "rooftop" => s with { MostModules = 12, ChooseInverter = false, ShedForStart = true },
            _ => s with { MostModules = 12 },
        };
        return design with { Energy = design.Energy with { Sizing = Of(design.Energy.Sizing) } };
    }

    /// <summary>Every way out of a search that found nothing finds a kit at its own set-point, or no longer says what it said.</summary>
    [Theory]
    [MemberData(nameof(Short))]
    public void A_way_out_of_a_search_brings_a_kit(string rig, string how)
    {
        var design = Shortened(rig, how);
        SizingResult Search(JobDesign d) => RigKitSearch.Rig(d)!(null, default);
        var ways = 0;
        foreach (var finding in Search(design).Findings)
            foreach (var way in finding.Remedies)
            {
                var after = Search(design.With(way.Edit));
                var says = $"{finding.Code}: {way.Words}, then {string.Join("; ", after.Findings.Select(f => $"{f.Code} {f.Words}"))}";
                after.Findings.ShouldNotContain(f => f.Code == finding.Code, says);
                if (finding.Level == Severity.Stop && finding.Code is not ("size.start" or "size.unit-limited"))
                    after.Frontier.ShouldContain(p => p.Kit.SetpointC == after.SetpointC, says);
                ways++;
            }
        // Where money alone is short with the sun, more modules or a generator would only be too dear: nothing is offered.
        (ways > 0).ShouldBe(how != "bare and dear");
    }

    [Fact]
    public void The_heat_an_inverter_is_said_to_add_is_the_heat_that_is_counted()
    {
        var van = NewcomersVan.Design;
        var inverter = new InverterDesign
        {
            RatedW = 3000,
            Inside = true,
            Efficiency = [new EfficiencyDesign { PowerW = 500, Efficiency = 0.70 }, new EfficiencyDesign { PowerW = 2500, Efficiency = 0.75 }]
        };
        van = van with
        {
            Start = van.Start with { On = SourceChoice.Inverter },
            Survey = van.Survey with
            {
                Devices = [],
                Sources = van.Survey.Sources with { Inverter = inverter, Battery = van.Survey.Sources.Battery with { Fitted = true, Blocks = 8 } }
            }
        };
        var before = Assessor.Assess(van);
        var note = before.Start!.Findings.Single(f => f.Code == "source.inverter-heat");
        var said = note.Words.Measures.Last().Value;
        var after = Assessor.Assess(Applied(van, note.Remedies[0].Changes));
        double Devices(JobAssessment a) => a.Load!.Causes.Single(c => c.Cause == Cause.Appliances).Watts.Average();
        var idle = 0.01 * inverter.RatedW;
        (Devices(after) - Devices(before)).ShouldBe(said - idle, 0.01 * said, "what carrying the unit adds to the idle loss counted before");
    }

    [Fact]
    public void A_reading_below_the_plate_of_an_own_unit_is_no_stop()
    {
        var van = NewcomersVan.Design;
        var own = UnitCatalogue.Find("RT-09-115")! with { Id = "own-1", McaA = 14 };
        van = van with { Unit = new UnitDesign { Chosen = "own-1", Own = [own] } };
        CommissionRecord[] records = [new(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "Wren", new StartUpReadings { RunA = 13 }, null)];
        var row = Assessor.Assess(van, records).Commission!.Rows.Single(r => r.Id == "amps");
        row.Verdict.ShouldNotBe(BandVerdict.Stop);
        row.Band.ToString().ShouldContain("14 A");
        records = [records[0] with { Readings = new StartUpReadings { RunA = 15 } }];
        Assessor.Assess(van, records).Commission!.Rows.Single(r => r.Id == "amps").Verdict.ShouldBe(BandVerdict.Stop);
    }

    [Fact]
    public void A_soft_starter_is_judged_on_the_motor_that_was_measured()
    {
        var van = NewcomersVan.Design with { Unit = new UnitDesign { Chosen = "RT-09-115" } };
        van = van with
        {
            Start = van.Start with { On = SourceChoice.Shore, Remedy = StartRemedy.None, MeasuredA = 47 },
            Survey = van.Survey with { Sources = van.Survey.Sources with { Shore = new ShoreDesign { PluggedIn = true, BreakerA = 50 } } }
        };
        var plain = Assessor.Assess(van).Start!;
        plain.Findings.ShouldContain(f => f.Code == "start.measured");
        var promised = plain.Remedies.Single(r => r.Id == "soft");
        var lived = Assessor.Assess(Applied(van, promised.Changes)).Start!;
        lived.Findings.ShouldContain(f => f.Code == "start.measured");
        lived.MaxA.ShouldBe(promised.MaxA, 1e-6);
        lived.SurgeUsed.ShouldBe(promised.SurgeUsed, 1e-6);
    }

    [Theory]
    [InlineData("/survey/space/lenghtM")]
    [InlineData("/survey/space/WidthM")]
    [InlineData("/version")]
    [InlineData("/Version")]
    [InlineData("/")]
    [InlineData("/survey/windows/*/nme")]
    public void A_path_that_is_no_field_is_refused(string path) => Should.Throw<InputException>(() => DesignPath.Field(path)).Message.ShouldContain("no field");

    [Theory]
    [InlineData("//survey//space/widthM/", "/survey/space/widthM")]
    [InlineData("survey/windows/3/cover", "/survey/windows/3/cover")]
    [InlineData("/energy", "/energy")]
    [InlineData("/survey/windows/0", "/survey/windows/0")]
    public void A_path_has_one_spelling(string path, string normal) => DesignPath.Field(path).ShouldBe(normal);
}
