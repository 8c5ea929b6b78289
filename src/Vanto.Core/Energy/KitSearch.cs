using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>
/// The smallest battery and array that meet the rig's aim in every scenario chosen, from blocks and modules like those on board. The start is
/// asked of each bank at the reserve. Long work: reports progress and can be stopped.
/// </summary>
public sealed class KitSearch
{
    private const double HotterK = 3;
    private const double CloudySun = 0.35;
    private const double AgedCapacity = 0.8;
    private const double HoursAWeek = 168;
    private const double SoftReduction = 0.65;

    private readonly EnergyInputs _inputs;
    private readonly StartDesign _start;
    private readonly UnitAssessment _unit;
    private readonly SizingDesign _sizing;
    private readonly BatteryDesign _battery;
    private readonly CancellationToken _stop;
    private readonly bool[] _starts;
    private InverterChoice? _inverter;
    private int _evaluations;

    private KitSearch(EnergyInputs inputs, StartDesign start, UnitAssessment unit, CancellationToken stop)
    {
        (_inputs, _start, _unit, _stop) = (inputs, start, unit, stop);
        _sizing = inputs.Energy.Sizing;
        _battery = inputs.Survey.Sources.Battery;
        _starts = new bool[_sizing.MostBatteries + 1];
    }

    private sealed record Scenario(string Id, string Words, int Days, RigDay Day, bool Aged);

    /// <summary>Searches.</summary>
    /// <param name="inputs">The Energy station's inputs with the rig's day.</param>
    /// <param name="start">Start station's inputs.</param>
    /// <param name="unit">The unit chosen.</param>
    /// <param name="progress">Told after each staircase.</param>
    /// <param name="stop">Ends the search.</param>
    /// <exception cref="InputException">No bank on board to take blocks from, or a reserve above 0.8.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static SizingResult Run(EnergyInputs inputs, StartDesign start, UnitAssessment unit, IProgress<SizingProgress>? progress = null, CancellationToken stop = default)
    {
        if (!inputs.Survey.Sources.Battery.Fitted)
            throw new InputException("survey.sources.battery", "none", "Say what one battery block is like; the search counts such blocks.");
        return new KitSearch(inputs, start, unit, stop).Search(progress);
    }

    private SizingResult Search(IProgress<SizingProgress>? progress)
    {
        var day = _inputs.Day ?? RigDay.Of(_inputs.Survey, _inputs.Load).Day;
        var scenarios = Scenarios(day);
        List<double> holds = [.. Enumerable.Range(0, 1 + (int)_sizing.WarmerK).Select(k => _inputs.Energy.HoldC + k).Where(h => h <= 35 && h - _inputs.Energy.HoldC + _inputs.Energy.OtherwiseC <= 40)];
        var jobs = holds.SelectMany(h => scenarios.Select(s => (Hold: h, Scenario: s))).ToList();
        var demands = new EnergyCase[jobs.Count];
        var maps = new bool[jobs.Count][][];
        var done = 0;
        Parallel.For(0, jobs.Count, new ParallelOptions { CancellationToken = _stop }, i =>
        {
            var (hold, scenario) = jobs[i];
            var aim = _inputs.Energy with { HoldC = hold, OtherwiseC = _inputs.Energy.OtherwiseC + hold - _inputs.Energy.HoldC, StartSoc = 1 };
            demands[i] = new DayRun(_inputs with { Day = scenario.Day, Energy = aim }, scenario.Day, RigDay.StepS, scenario.Days).Demand() with { Recorded = false };
        });
        _inverter = Inverter(demands);
        Parallel.For(1, _starts.Length, b => _starts[b] = Starts(b, _inverter));
        Parallel.For(0, jobs.Count, new ParallelOptions { CancellationToken = _stop }, i =>
        {
            var scenario = jobs[i].Scenario;
            demands[i] = WithInverter(demands[i]);
            // A generator with its starting rule breaks the monotony the staircase lives on.
            bool Holds(KitSize kit) => Feasible(demands[i], scenario, kit);
            maps[i] = demands[i].Generator is null
                ? SystemSizing.Map(SystemSizing.Staircase(_sizing.MostBatteries, _sizing.MostModules, Holds), _sizing.MostBatteries)
                : SystemSizing.FullMap(_sizing.MostBatteries, _sizing.MostModules, Holds);
            progress?.Report(new SizingProgress(Interlocked.Increment(ref done), jobs.Count));
        });
        var fitted = new KitSize(_battery.Blocks, _inputs.Survey.Sources.Modules.Count);
        double? MinSoc(int job, KitSize kit) => Evaluate(demands[job], jobs[job].Scenario, kit) is { } r && SystemSizing.Holds(r, double.NegativeInfinity) ? r.MinSoc : null;
        var first = scenarios.Select((s, i) => new SizingScenario(s.Id, s.Words, demands[i].AirconW!.Sum() * RigDay.StepS / 3600, SystemSizing.Least(maps[i]), MinSoc(i, fitted))).ToList();
        var points = new List<(KitPoint Kit, int HoldIndex)>();
        for (var h = 0; h < holds.Count; h++)
        {
            var all = SystemSizing.Least(Over(maps, h, scenarios));
            for (var a = 0; a < all.Length; a++)
                if (all[a] > 0 && Point(holds[h], all[a], a) is { } point && point.Cost <= (_sizing.MostCost ?? double.MaxValue) && point.MassKg <= (_sizing.MostMassKg ?? double.MaxValue))
                    points.Add((point, h));
        }
        var frontier = SystemSizing.Frontier(points.Select(p => p.Kit)).Select(kit =>
        {
            var h = points.First(p => p.Kit == kit).HoldIndex;
            var socs = scenarios.Select((_, i) => MinSoc(h * scenarios.Count + i, new KitSize(kit.Batteries, kit.Modules))).ToList();
            return new FrontierPoint(kit, socs, scenarios[socs.IndexOf(socs.Min())].Words, Adopt(kit));
        }).ToList();
        var map = Over(maps, 0, scenarios);
        List<Finding> findings = [.. Findings(first, frontier, holds, maps, scenarios, fitted)];
        return new SizingResult(holds[0], _sizing.MostBatteries, Cells(map, maps, scenarios), SystemSizing.Least(map), fitted, first, frontier, Steps(demands, scenarios, holds, fitted, MinSoc), findings, _evaluations, _inverter);
    }

    /// <summary>The cheapest inverter of the class on board that carries the most drawn and starts the unit, with or without a soft starter; null where none is asked for or none does.</summary>
    private InverterChoice? Inverter(EnergyCase[] demands)
    {
        if (!_sizing.ChooseInverter || _unit.Unit.IsDc || !_inputs.Survey.Sources.Inverter.Fitted)
            return null;
        var peak = demands.Max(d => d.AirconW!.Zip(d.AcLoadW, (u, l) => u + l).Max());
        StartRemedy[] remedies = _unit.Unit.SingleSpeed ? [StartRemedy.None, StartRemedy.SoftStarter] : [_start.Remedy];
        return remedies.SelectMany(r => SourceBuilder.InverterStepsW.Where(w => w >= peak)
                .Select(w => new InverterChoice(w, r, w / 1000 * _sizing.InverterCost + (r == StartRemedy.SoftStarter ? _sizing.StarterCost : 0)))
                .Where(c => Starts(_sizing.MostBatteries, c)).Take(1))
            .MinBy(c => c.Cost);
    }

    private EnergyCase WithInverter(EnergyCase demand) => _inverter is { } chosen
        ? demand with { Inverter = new EnergyInverter(SourceBuilder.Inverter(Fitted(chosen)), chosen.RatedW) }
        : demand;

    private InverterDesign Fitted(InverterChoice chosen) => _inputs.Survey.Sources.Inverter with { RatedW = chosen.RatedW, IdleW = null };

    private List<Scenario> Scenarios(RigDay day)
    {
        var list = new List<Scenario> { new("design", "the design day", 1, day, false) };
        if (_sizing.HotDays)
        {
            var place = _inputs.Survey.Place;
            var hot = RigDay.Of(_inputs.Survey with { Place = place with { DryBulbC = place.DryBulbC + HotterK, NightLowC = place.NightLowC + HotterK } }, _inputs.Load).Day;
            list.Add(new("hot", $"{_sizing.Days} days 3 K hotter", _sizing.Days, hot, false));
        }
        if (_sizing.CloudyDays)
            list.Add(new("cloudy", $"{_sizing.Days} days with 35 % of the sun", _sizing.Days, day.UnderCloud(CloudySun), false));
        return _sizing.Aged ? [.. list.SelectMany(s => new[] { s, s with { Id = s.Id + "-aged", Words = s.Words + ", aged bank", Aged = true } })] : list;
    }

    private BatteryDesign Bank(int blocks, bool aged) => _battery with { Blocks = blocks, CapacityLeft = aged ? Math.Min(_battery.CapacityLeft, AgedCapacity) : _battery.CapacityLeft };

    private EnergyResult? Evaluate(EnergyCase demand, Scenario scenario, KitSize kit)
    {
        _stop.ThrowIfCancellationRequested();
        Interlocked.Increment(ref _evaluations);
        return EnergySimulation.Run(demand with { Bank = SourceBuilder.Bank(Bank(kit.Batteries, scenario.Aged)), Modules = demand.Modules with { Count = kit.Modules } });
    }

    private bool Feasible(EnergyCase demand, Scenario scenario, KitSize kit)
    {
        if (!_starts[kit.Batteries])
            return false;
        var result = Evaluate(demand with { GiveUpSoc = _inputs.ReserveSoc }, scenario, kit)!;
        return SystemSizing.Holds(result, _inputs.ReserveSoc) && result.GeneratorHours <= _sizing.MostGeneratorHours * scenario.Days * 24 / HoursAWeek;
    }

    /// <summary>A bank counts only when the unit starts and runs on it at the reserve.</summary>
    private bool Starts(int blocks, InverterChoice? inverter)
    {
        var sources = _inputs.Survey.Sources with { Battery = Bank(blocks, false) };
        if (_unit.Unit is { IsDc: false } && !sources.Inverter.Fitted)
            return true;
        if (inverter is not null)
            sources = sources with { Inverter = Fitted(inverter) };
        var on = _unit.Unit.IsDc ? _start : _start with { On = SourceChoice.Inverter, Remedy = inverter?.Remedy ?? _start.Remedy, Reduction = inverter is { Remedy: StartRemedy.SoftStarter } && _start.Remedy != StartRemedy.SoftStarter ? SoftReduction : _start.Reduction };
        var outdoor = _inputs.Survey.Place.DryBulbC + _inputs.UnitDesign.InletRiseK;
        try
        {
            return StartStation.Outcome(_inputs.Survey with { Sources = sources }, on with { Soc = Math.Max(0.05, _inputs.ReserveSoc) }, _unit.Unit, outdoor) is StartOutcome.Starts or StartOutcome.StartsOnlyIfShed;
        }
        catch (InputException)
        {
            return false;
        }
    }

    /// <summary>What holds in every scenario at one of the set-points.</summary>
    private static bool[][] Over(bool[][][] maps, int hold, List<Scenario> scenarios) =>
        [.. maps[0].Select((column, a) => column.Select((_, b) => scenarios.Select((_, s) => maps[hold * scenarios.Count + s][a][b]).All(holds => holds)).ToArray())];

    private static List<KitCell> Cells(bool[][] map, bool[][][] maps, List<Scenario> scenarios) =>
        [.. map.SelectMany((column, a) => column.Select((holds, b) => new KitCell(b + 1, a, holds, holds ? "" : scenarios.Where((_, s) => !maps[s][a][b]).First().Words)))];

    private KitPoint Point(double hold, int batteries, int modules)
    {
        var kWh = (_battery with { Blocks = batteries }).BankKWh;
        return new KitPoint(hold, batteries, modules, batteries * _battery.Series * _sizing.BatteryCost + modules * _sizing.ModuleCost + (_inverter?.Cost ?? 0),
            CellData.Of(_battery.Chemistry).KgPerKWh * kWh + modules * _inputs.Survey.Sources.Modules.RatedW * Modules.KgPerW);
    }

    private List<DesignChange> Adopt(KitPoint kit)
    {
        var changes = new List<DesignChange> { new("/survey/sources/battery/blocks", kit.Batteries), new("/survey/sources/modules/count", kit.Modules) };
        if (kit.HoldC != _inputs.Energy.HoldC)
            changes.AddRange(Warmer(kit.HoldC));
        if (_inverter is not { } inverter)
            return changes;
        changes.AddRange([new("/survey/sources/inverter/ratedW", inverter.RatedW), new("/survey/sources/inverter/idleW", null)]);
        if (inverter.Remedy != _start.Remedy)
        {
            changes.Add(new("/start/remedy", inverter.Remedy == StartRemedy.None ? "none" : "softStarter"));
            if (inverter.Remedy == StartRemedy.SoftStarter)
                changes.Add(new("/start/reduction", SoftReduction));
        }
        return changes;
    }

    private DesignChange[] Warmer(double holdC) =>
        [new("/energy/holdC", holdC), new("/energy/otherwiseC", _inputs.Energy.OtherwiseC + holdC - _inputs.Energy.HoldC)];

    private List<StepGain> Steps(EnergyCase[] demands, List<Scenario> scenarios, List<double> holds, KitSize fitted, Func<int, KitSize, double?> minSoc)
    {
        (double? Worst, int Fails) Over(int hold, KitSize kit)
        {
            var socs = scenarios.Select((_, i) => minSoc(hold * scenarios.Count + i, kit)).ToList();
            var fails = socs.Count(s => s is null || s < _inputs.ReserveSoc);
            return (fails > 0 ? null : socs.Min(), fails);
        }
        var now = Over(0, fitted);
        StepGain Gain(string words, int hold, KitSize kit, DesignChange[] changes)
        {
            var after = Over(hold, kit);
            return new StepGain(words, now.Worst, after.Worst, now.Fails, after.Fails, changes);
        }
        var (blocks, modules) = (fitted.Batteries + 1, fitted.Modules + 1);
        var steps = new List<StepGain>
        {
            Gain("one battery block more", 0, fitted with { Batteries = blocks }, [new("/survey/sources/battery/blocks", blocks)]),
            Gain("one module more", 0, fitted with { Modules = modules }, [new("/survey/sources/modules/count", modules)]),
        };
        if (holds.Count > 1)
            steps.Add(Gain("one degree warmer", 1, fitted, Warmer(holds[1])));
        return steps;
    }

    private IEnumerable<Finding> Findings(List<SizingScenario> first, List<FrontierPoint> frontier, List<double> holds, bool[][][] maps, List<Scenario> scenarios, KitSize fitted)
    {
        if (_starts.Skip(1).All(s => !s))
        {
            yield return new Finding("size.start", Severity.Stop, Phrase.Of($"No bank of up to {_sizing.MostBatteries} blocks starts {_unit.Unit.Id} at the reserve: it fails at the start, not for want of energy."),
                _unit.Unit.SingleSpeed && _start.Remedy == StartRemedy.None ? [new Remedy(Phrase.Of($"soft starter"), Phrase.Of($"{0.65:Fraction} less at the start"), [new DesignChange("/start/remedy", "softStarter"), new DesignChange("/start/reduction", 0.65)])] : []);
            yield break;
        }
        if (frontier.Count == 0)
        {
            var blame = first.FirstOrDefault(s => s.Least[^1] < 0);
            var remedies = new List<Remedy>();
            var warmer = Enumerable.Range(1, holds.Count - 1).FirstOrDefault(h => Over(maps, h, scenarios).Any(column => column.Any(c => c)));
            if (blame is not null && warmer > 0)
                remedies.Add(new Remedy(Phrase.Of($"hold {holds[warmer]:Temperature}"), Phrase.Of($"costs nothing"), Warmer(holds[warmer])));
            if (blame is not null && _sizing.MostBatteries < 40)
                remedies.Add(new Remedy(Phrase.Of($"allow more blocks"), Phrase.Of($"up to {Math.Min(40, 2 * _sizing.MostBatteries)}"), [new DesignChange("/energy/sizing/mostBatteries", Math.Min(40, 2 * _sizing.MostBatteries))]));
            if (blame is null)
                remedies.Add(new Remedy(Phrase.Of($"lift the limits of cost and weight"), Phrase.Of($"they alone forbid it"), [new DesignChange("/energy/sizing/mostCost", null), new DesignChange("/energy/sizing/mostMassKg", null)]));
            yield return new Finding("size.none", Severity.Stop, blame is null
                ? Phrase.Of($"Kits that hold exist, but every one is past the limit of cost or weight.")
                : Phrase.Of($"Nothing within {_sizing.MostBatteries} blocks and {_sizing.MostModules} modules holds {blame.Words}: the energy is not there."), remedies);
            yield break;
        }
        if (frontier.Count > 0 && scenarios.Count == 1)
            yield return Finding.Of("size.thin", Severity.Caution, $"Only the design day was asked. A hotter, cloudier or older night finds the limit.");
        var failing = first.Where(s => s.FittedMinSoc is not { } soc || soc < _inputs.ReserveSoc).ToList();
        if (failing.Count > 0)
            yield return Finding.Of("size.fitted", Severity.Caution, $"What is fitted now, {fitted.Batteries} blocks and {fitted.Modules} modules, does not hold {failing[0].Words}.");
    }
}
