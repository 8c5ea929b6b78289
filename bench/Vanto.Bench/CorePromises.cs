using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Install;
using Vanto.Core.Instruments;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Service;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using Vanto.Web.Demo;

namespace Vanto.Bench;

/// <summary>Promises that the core keeps alone.</summary>
public static class CorePromises
{
    /// <summary>A whole job with every station, and what one change of it costs, on the demo rigs.</summary>
    public static IEnumerable<Measured> OfJobs()
    {
        foreach (var rig in DemoRigs.Designs)
            yield return Measured.Time($"assess a whole job: {rig.Name}", 25, 60, () => Assessor.Assess(rig), warmS: 6);
        var marigold = DemoRigs.Designs[0];
        var (known, n) = (Assessor.Assess(marigold), 0);
        Measured Changed(string what, double promised, Func<JobDesign, double, JobDesign> change) => Measured.Time(what, promised, 60,
            () => Assessor.Assess(change(marigold, 0.001 * (n++ % 50)), before: known));
        yield return Changed("the head moved: the stations that read it", 10,
            (j, by) => j with { Layout = j.Layout with { Head = j.Layout.Head with { LeftM = 0.3 + by, LowM = 1.3 } } });
        yield return Changed("a circuit made longer: Wiring and what reads it", 10,
            (j, by) => j with { Wiring = j.Wiring with { Branch = j.Wiring.Branch with { RouteM = 9 + by } } });
        yield return Changed("a fitter's hour dearer: the plan by the quick rule", 10,
            (j, by) => j with { Plan = j.Plan with { Crew = [.. j.Plan.Crew.Select(c => c with { RateH = 40 + by })] } });
    }

    /// <summary>A plan, a gate and the log of a site.</summary>
    public static IEnumerable<Measured> OfSites()
    {
        var marigold = DemoRigs.Designs[0];
        var s = PlanStation.Setting(marigold, Assessor.Assess(marigold))!;
        yield return Measured.Time("steps, take-off and quick schedule of a job", 5, 60, () =>
        {
            var net = TaskNetwork.Expand(s.Shape(), TaskLibrary.Standard);
            TakeOff.Of(s, net, SerialSchedule.Of(s.With(s.Design).Problem(net)));
        }, warmS: 3);
        var facts = new GateFacts(TaskNetwork.TagsOf(s.Shape(), TaskLibrary.Standard), new HashSet<string>(), SiteFacts.Limits(s));
        var proving = TaskLibrary.Standard.Task("n2-steps");
        var log = DemoSite.Events(marigold, int.MaxValue);
        var step = EventFold.Fold(log, (_, _) => []).Steps["n2-steps"];
        yield return LongHold();
        yield return FiveYears();
        yield return MillionReadings();
        yield return Measured.Time("gates of a step", 0.2, 200, () => GateEvaluator.Open(proving, step, false, facts));
        InstallRecord[] long5000 = [.. Enumerable.Range(0, 5000).Select(i => log[i % log.Count] is var e
            ? e with { Id = Guid.NewGuid(), Event = e.Event with { L = e.Event.L + i, Seq = i } } : null!)];
        yield return Measured.Time("5,000 events of a site folded", 20, 40,
            () => EventFold.Fold(long5000,
                (x, start) => TaskLibrary.Standard.Has(x.Id) ? GateEvaluator.Open(TaskLibrary.Standard.Task(x.Id), x, start, facts) : []));
    }

    /// <summary>A rig read every day for five years.</summary>
    private static Measured FiveYears()
    {
        var first = new DateOnly(2021, 1, 1);
        List<TrendRecord> records = [.. Enumerable.Range(0, 5 * 365).Select(i => new TrendRecord(Guid.NewGuid(), DateTimeOffset.UnixEpoch, "bench",
            new TrendValues { Day = first.AddDays(i).ToString("O"), RanMin = 20, OutdoorC = 25 + i % 9, SplitK = 11 - i % 3 * 0.1, RunA = 7 + i % 5 * 0.02,
                RunV = 118 + i % 4 * 0.5, StartA = 19 + i % 6 * 0.1, UsableWh = 4800 - i % 7 }, null))];
        return Measured.Time("trend of five years, a reading a day", 300, 30, () => Trends.Of(records, [], []));
    }

    /// <summary>A vacuum gauge read every second for four hours.</summary>
    private static Measured LongHold()
    {
        var random = new SplitMix64(3);
        VacuumPoint[] readings = [.. Enumerable.Range(0, 4 * 3600).Select(t => new VacuumPoint(t, (40 + 260 * (1 - Math.Exp(-t / 900.0)))
            * (1 + 0.01 * random.Normal())))];
        return Measured.Time("shape of a vacuum, 4 h of readings", 10, 60, () => VacuumDecay.Of(readings, 20));
    }

    /// <summary>A trace of a million readings thinned for a picture.</summary>
    private static Measured MillionReadings()
    {
        var random = new SplitMix64(3);
        TracePoint[] readings = [.. Enumerable.Range(0, 1_000_000).Select(i => new TracePoint(i * 1000L, 100 + random.Normal()))];
        return Measured.Time("trace of 1,000,000 readings thinned to 800 points", 300, 10, () => Trace.Thinned(readings, 800));
    }

    /// <summary>Years, searches and starts.</summary>
    public static IEnumerable<Measured> Measure()
    {
        var marigold = DemoRigs.Designs[0];
        var space = SurveyedSpace.Build(marigold.Survey, 25, 50);
        var weather = SeasonRun.Made(marigold.Survey);
        var run = new YearRun(space, SpaceDrivers.Build(space, weather.Steps(300), 300), 300);
        var before = GC.GetAllocatedBytesForCurrentThread();
        run.Run(18);
        var allocated = (GC.GetAllocatedBytesForCurrentThread() - before) / 1e6;
        yield return Measured.Time($"one year at 5 min, thermal, {space.Faces.Count} faces and {space.Windows.Count} windows, one core", 50, 20,
            () => run.Run(18), FormattableString.Invariant($"(sun prepared; {allocated:0.0} MB for the hourly results)"));
        foreach (var row in Coupled(marigold, space, weather))
            yield return row;
        foreach (var row in Starts())
            yield return row;
    }

    /// <summary>The same year with its sources: coupled, the electrical side alone, and searches of a thousand kits.</summary>
    private static IEnumerable<Measured> Coupled(JobDesign rig, SpaceDescription space, WeatherYear weather)
    {
        var unit = UnitCatalogue.Find(rig.Unit.Chosen)!;
        var inputs = new EnergyInputs(rig.Survey, rig.Load, rig.Unit, unit, rig.Energy, rig.Start.ReserveSoc);
        var through = RigDay.Through(space, weather.Steps(300), 300);
        var year = new DayRun(inputs, through, 300, 365);
        var (coupled, energyCase, _) = year.Run();
        var bare = energyCase with { Recorded = false };
        SpaceCabin Cabin(int stepS) => new(space, through.Drivers, through.Settled, 18, space.Moisture(space.SetpointRatio), 0, stepS);
        yield return Measured.Time("the same year, cabin and sources coupled", 80, 15, () => EnergySimulation.Run(bare, Cabin(300)),
            Allocated(() => EnergySimulation.Run(bare, Cabin(300))));
        var minutes = new DayRun(inputs, through, 60, 365).Run().Case with { Recorded = false };
        yield return Measured.Time("the same at 1 min", 300, 6, () => EnergySimulation.Run(minutes, Cabin(60)),
            Allocated(() => EnergySimulation.Run(minutes, Cabin(60))));
        var electrical = bare with { AirconW = coupled.AirconW };
        yield return Measured.Time("the same year, electrical side on a given demand", 8, 30, () => EnergySimulation.Run(electrical),
            Allocated(() => EnergySimulation.Run(electrical)));
        yield return Measured.Time("1,000 kits over a fortnight", 2000, 5, () => Search(Cut(electrical, 14 * 288), rig), "every kit run to its end, 2 threads");
        yield return Measured.Time("1,000 kits over a year", 10000, 3, () => Search(electrical, rig), "every kit run to its end, 2 threads");
        yield return Measured.Time("search for the smallest kit, as the screen asks it, and its kits' years", 3500, 5,
            () => RigKitSearch.Rig(rig)!(null, default));
    }

    private static IEnumerable<Measured> Starts()
    {
        var unit = UnitCatalogue.Find("RT-13-115")!;
        var bank = new BatteryBank(Chemistry.Lfp, 4, 400);
        var start = new StartCase
        {
            Motor = MotorModel.FromNameplate(unit.SupplyVoltageV, unit.LraA, unit.RlaA),
            Source = PowerSource.OfInverter(SourceClass.TransformerInverter, 120, 3000, new DcSide(bank, 0.5, 0.0008, new InverterModel(3000, 30))),
            Neighbours = [new NeighbourLoad("fan", unit.FanPowerW, 0.85, false)],
        };
        yield return Measured.Time("one start with its trace, battery and all that can trip", 5, 100, () => StartSimulation.Run(start, trace: true));
        var design = DemoRigs.Designs[0];
        yield return Measured.Time("the same over the corners of what is not known", 5, 100,
            () => StartCorners.Of(start, design.Survey, design.Start, unit, false, false));
        yield return Measured.Time("with a soft starter over its corners", 5, 100,
            () => StartCorners.Of(start with { Remedy = StartRemedy.SoftStarter, Reduction = 0.65 }, design.Survey, design.Start, unit, false, false));
    }

    private static void Search(EnergyCase demand, JobDesign rig)
    {
        var battery = rig.Survey.Sources.Battery;
        Parallel.For(0, 1000, new ParallelOptions { MaxDegreeOfParallelism = 2 }, i =>
        {
            var bank = SourceBuilder.Bank(battery with { Blocks = 1 + i / 40 });
            EnergySimulation.Run(demand with { Bank = bank, Modules = demand.Modules with { Count = i % 40 } });
        });
    }

    private static EnergyCase Cut(EnergyCase c, int steps) => c with
    {
        OutdoorC = c.OutdoorC[..steps],
        IrradianceWm2 = c.IrradianceWm2[..steps],
        SetpointC = c.SetpointC[..steps],
        DcLoadW = c.DcLoadW[..steps],
        AcLoadW = c.AcLoadW[..steps],
        AirconW = c.AirconW![..steps],
        AlternatorW = c.AlternatorW?[..steps],
        ShoreW = c.ShoreW?[..steps],
        GeneratorAllowed = c.GeneratorAllowed?[..steps],
    };

    private static string Allocated(Action run)
    {
        run();
        var before = GC.GetAllocatedBytesForCurrentThread();
        run();
        return FormattableString.Invariant($"(allocates {(GC.GetAllocatedBytesForCurrentThread() - before) / 1e3:0.0} kB)");
    }
}
