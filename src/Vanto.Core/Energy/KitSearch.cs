using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>
/// The smallest battery, array and generator that meet the rig's aim in every scenario chosen, from blocks and modules like those on board
/// and generators as they are sold. The start is asked of each bank at the reserve. Long work: reports progress and can be stopped.
/// </summary>
public sealed class KitSearch
{
    private const double HoursAWeek = 168;

    private readonly EnergyInputs _inputs;
    private readonly SizingDesign _sizing;
    private readonly KitEquipment _equipment;
    private readonly CancellationToken _stop;
    private readonly List<SizingDays> _days;
    private readonly List<double> _holds;
    private readonly EnergyCase[] _demands;
    private int _evaluations;

    private KitSearch(EnergyInputs inputs, StartDesign start, UnitAssessment unit, CancellationToken stop)
    {
        (_inputs, _stop) = (inputs, stop);
        _sizing = inputs.Energy.Sizing;
        _equipment = new KitEquipment(inputs, start, unit.Unit);
        _days = SizingDays.Of(inputs);
        _holds = [.. Enumerable.Range(0, 1 + (int)_sizing.WarmerK).Select(k => inputs.Energy.SetpointC + k)
            .Where(h => h <= 35 && h - inputs.Energy.SetpointC + inputs.Energy.OtherwiseC <= 40)];
        _demands = new EnergyCase[_holds.Count * _days.Count];
    }

    /// <summary>Searches.</summary>
    /// <param name="inputs">The Energy station's inputs with the rig's day.</param>
    /// <param name="start">Start station's inputs.</param>
    /// <param name="unit">The unit chosen.</param>
    /// <param name="progress">Told after each map.</param>
    /// <param name="stop">Ends the search.</param>
    /// <exception cref="InputException">No bank on board to take blocks from, or a reserve above 0.8.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static SizingResult Run(EnergyInputs inputs, StartDesign start, UnitAssessment unit, IProgress<SizingProgress>? progress = null,
        CancellationToken stop = default)
    {
        if (!inputs.Survey.Sources.Battery.Fitted)
            throw new InputException("survey.sources.battery", "none", "Say what one battery block is like; the search counts such blocks.");
        var search = new KitSearch(inputs, start, unit, stop);
        search.Draw();
        return search.Search(start, unit, progress);
    }

    /// <summary>What the unit draws on each of the days at each set-point, and the equipment that carries it.</summary>
    private void Draw()
    {
        Parallel.For(0, _demands.Length, new ParallelOptions { CancellationToken = _stop }, i =>
        {
            var (hold, days) = (_holds[i / _days.Count], _days[i % _days.Count]);
            var aim = _inputs.Energy with { SetpointC = hold, OtherwiseC = _inputs.Energy.OtherwiseC + hold - _inputs.Energy.SetpointC, StartSoc = 1 };
            _demands[i] = new DayRun(_inputs with { Day = days.Day, Energy = aim }, days.Day, RigDay.StepS, days.Count).Demand() with { Recorded = false };
        });
        _equipment.Choose(_demands.Max(d => d.AirconW!.Zip(d.AcLoadW, (u, l) => u + l).Max()), _demands.Max(d => d.AcLoadW.Max()));
    }

    private SizingResult Search(StartDesign start, UnitAssessment unit, IProgress<SizingProgress>? progress)
    {
        var generators = _equipment.Generators;
        // By generator, set-point, days.
        var maps = new bool[generators.Count * _demands.Length][][];
        var done = 0;
        Parallel.For(0, maps.Length, new ParallelOptions { CancellationToken = _stop }, i =>
        {
            maps[i] = Map(i % _demands.Length, generators[i / _demands.Length]);
            progress?.Report(new SizingProgress(Interlocked.Increment(ref done), maps.Length));
        });
        bool[][] Over(int generator, int hold) => All(maps.AsSpan(generator * _demands.Length + hold * _days.Count, _days.Count));
        MeetingKits held = new MeetingKits([.. Enumerable.Range(0, generators.Count).Select(g => _holds.Select((_, h) => Over(g, h)).ToArray())]);
        var fitted = new KitSize(_inputs.Survey.Sources.Battery.Blocks, _inputs.Survey.Sources.Modules.Count);
        var scenarios = _days.Select((d, i) => new SizingScenario(d.Id, d.Words, _demands[i].AirconW!.Sum() * RigDay.StepS / 3600, SystemSizing.Least(maps[i]),
            MinSoc(_demands[i], d, fitted))).ToList();
        var frontier = Frontier(held);
        var findings = KitFindings.Of(_inputs, start, unit.Unit, _equipment, scenarios, frontier, _holds, held, fitted);
        return new SizingResult
        {
            SetpointC = _holds[0],
            MostBatteries = _sizing.MostBatteries,
            Maps = [.. generators.Index().GroupBy(g => g.Item?.RatedW ?? 0, g => g.Index).Select(g => Shown(g.Key, held, [.. g], maps))],
            Fitted = fitted,
            Scenarios = scenarios,
            Frontier = frontier,
            Steps = Steps(fitted),
            Findings = [.. findings],
            Evaluations = _evaluations,
            Inverter = _equipment.Inverter,
        };
    }

    private bool[][] Map(int demand, GeneratorChoice? generator)
    {
        var with = _equipment.WithGenerator(_equipment.WithInverter(_demands[demand]), generator);
        bool Holds(KitSize kit) => Feasible(with, _days[demand % _days.Count], kit);
        // With a generator a larger kit may end lower, since its starting rule acts on the charge; the staircase would miss kits.
        return with.Generator is null
            ? SystemSizing.Map(SystemSizing.Staircase(_sizing.MostBatteries, _sizing.MostModules, Holds), _sizing.MostBatteries)
            : SystemSizing.FullMap(_sizing.MostBatteries, _sizing.MostModules, Holds);
    }

    private EnergyResult Evaluate(EnergyCase demand, SizingDays days, KitSize kit)
    {
        _stop.ThrowIfCancellationRequested();
        Interlocked.Increment(ref _evaluations);
        return EnergySimulation.Run(demand with
        {
            Bank = SourceBuilder.Bank(_equipment.Bank(kit.Batteries, days.Aged)),
            Modules = demand.Modules with { Count = days.Sunless ? 0 : kit.Modules }
        });
    }

    private static double HoursAWeekOf(EnergyResult run, SizingDays days) => run.GeneratorHours * HoursAWeek / (days.Count * 24);

    private bool Feasible(EnergyCase demand, SizingDays days, KitSize kit)
    {
        if (!_equipment.Starts(kit.Batteries))
            return false;
        var run = Evaluate(demand with { GiveUpSoc = _inputs.ReserveSoc }, days, kit);
        return SystemSizing.MeetsReserve(run, _inputs.ReserveSoc) && HoursAWeekOf(run, days) <= _sizing.MostGeneratorHours;
    }

    private double? MinSoc(EnergyCase demand, SizingDays days, KitSize kit) =>
        Evaluate(demand, days, kit) is var run && SystemSizing.MeetsReserve(run, double.NegativeInfinity) ? run.MinSoc : null;

    /// <summary>What holds in every one of the days.</summary>
    private static bool[][] All(ReadOnlySpan<bool[][]> maps)
    {
        var all = Array.ConvertAll(maps[0], column => (bool[])column.Clone());
        foreach (var map in maps)
            for (var a = 0; a < all.Length; a++)
                for (var b = 0; b < all[a].Length; b++)
                    all[a][b] &= map[a][b];
        return all;
    }

    /// <summary>The map of one generator at the aim's own set-point, whichever of its rules holds.</summary>
    private KitMap Shown(double generatorW, MeetingKits held, int[] rules, bool[][][] maps)
    {
        var cells = new List<KitCell>();
        for (var a = 0; a <= _sizing.MostModules; a++)
            for (var b = 0; b < _sizing.MostBatteries; b++)
            {
                var holds = rules.Any(g => held.At(g, 0)[a][b]);
                cells.Add(new KitCell(b + 1, a, holds, holds ? "" : FailsIn(maps.AsSpan(rules[0] * _demands.Length, _days.Count), a, b)));
            }
        List<int> least = [.. cells.GroupBy(c => c.Modules).Select(column => column.FirstOrDefault(c => c.Holds)?.Batteries ?? -1)];
        return new KitMap(generatorW, cells, least);
    }

    private string FailsIn(ReadOnlySpan<bool[][]> byDays, int modules, int row)
    {
        var d = 0;
        while (byDays[d][modules][row])
            d++;
        return _days[d].Id;
    }

    /// <summary>
    /// Kits that no other beats. Without a generator a larger bank than the least only costs; with one it spares hours, so every bank that holds is looked at.
    /// </summary>
    private List<FrontierPoint> Frontier(MeetingKits held)
    {
        var kits = new List<(int Generator, int Hold, KitSize Kit)>();
        for (var g = 0; g < _equipment.Generators.Count; g++)
            for (var h = 0; h < _holds.Count; h++)
            {
                var map = held.At(g, h);
                var every = _equipment.WithGenerator(_demands[0], _equipment.Generators[g]).Generator is not null;
                kits.AddRange(map.SelectMany(
                    (column, a) => column.Index().Where(c => c.Item).Take(every ? column.Length : 1).Select(c => (g, h, new KitSize(c.Index + 1, a)))));
            }
        var points = new FrontierPoint[kits.Count];
        Parallel.For(0, kits.Count, new ParallelOptions { CancellationToken = _stop },
            i => points[i] = Point(kits[i].Hold, kits[i].Kit, _equipment.Generators[kits[i].Generator]));
        var byKit = points.Where(p => Within(p.Kit)).DistinctBy(p => p.Kit).ToDictionary(p => p.Kit);
        return [.. SystemSizing.Frontier(byKit.Keys).Select(kit => byKit[kit])];
    }

    private bool Within(KitPoint kit) => kit.Cost <= (_sizing.MostCost ?? double.MaxValue) && kit.MassKg <= (_sizing.MostMassKg ?? double.MaxValue);

    private FrontierPoint Point(int hold, KitSize size, GeneratorChoice? generator)
    {
        var runs =
            _days.Select((d, i) => Evaluate(_equipment.WithGenerator(_equipment.WithInverter(_demands[hold * _days.Count + i]), generator), d, size)).ToList();
        var kit = _equipment.Point(_holds[hold], size, generator, Math.Ceiling(runs.Select((r, i) => HoursAWeekOf(r, _days[i])).Max()));
        List<double?> socs = [.. runs.Select(r => SystemSizing.MeetsReserve(r, double.NegativeInfinity) ? (double?)r.MinSoc : null)];
        return new FrontierPoint(kit, socs, _days[socs.IndexOf(socs.Min())].Words, generator,
            runs.Select((r, i) => r.FuelLitres * HoursAWeek / (_days[i].Count * 24)).Max(), _equipment.Adopt(kit, generator));
    }

    /// <summary>How a kit stands all days at one of the set-points; with what is on board else, or with a generator bought.</summary>
    private KitStand Stand(int hold, KitSize kit, GeneratorChoice? bought)
    {
        var (fails, worst, givesOut, generatorHours) = (0, 1.0, double.PositiveInfinity, 0.0);
        for (var i = 0; i < _days.Count; i++)
        {
            var demand = _demands[hold * _days.Count + i];
            if (bought is not null)
                demand = _equipment.WithGenerator(demand, bought);
            var run = Evaluate(demand with { GiveUpSoc = _inputs.ReserveSoc }, _days[i], kit);
            worst = Math.Min(worst, run.MinSoc);
            generatorHours = Math.Max(generatorHours, HoursAWeekOf(run, _days[i]));
            if (SystemSizing.MeetsReserve(run, _inputs.ReserveSoc))
                continue;
            fails++;
            givesOut = Math.Min(givesOut, Math.Min(run.AirOffHour ?? double.PositiveInfinity, run.Steps * demand.StepS / 3600));
        }
        return new KitStand(fails > 0 ? null : worst, fails, fails > 0 ? givesOut : null, generatorHours);
    }

    private List<StepGain> Steps(KitSize fitted)
    {
        var now = Stand(0, fitted, null);
        var (blocks, modules) = (fitted.Batteries + 1, fitted.Modules + 1);
        var blockMore = DesignEdit.Of(_inputs.Survey, s => s.WithBattery(b => b with { Blocks = blocks }));
        var moduleMore = DesignEdit.Of(_inputs.Survey, s => s.WithModules(m => m with { Count = modules }));
        var steps = new List<StepGain>
        {
            new(Phrase.Of($"one battery block more"), now, Stand(0, fitted with { Batteries = blocks }, null), blockMore),
            new(Phrase.Of($"one module more"), now, Stand(0, fitted with { Modules = modules }, null), moduleMore),
        };
        if (_holds.Count > 1)
            steps.Add(new(Phrase.Of($"{_holds[1] - _holds[0]:TemperatureDifference} warmer"), now, Stand(1, fitted, null), _equipment.Warmer(_holds[1])));
        if (!_inputs.Survey.Sources.Generator.Fitted
            && _equipment.Generators.OfType<GeneratorChoice>().LastOrDefault(g => g.RatedW == _equipment.Generators[1]!.RatedW) is { } smallest)
            steps.Add(new(Phrase.Of($"a generator of {smallest.RatedW:ElectricPower}"), now, Stand(0, fitted, smallest), _equipment.Adopt(smallest)));
        return steps;
    }
}
