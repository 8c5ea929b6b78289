using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>
/// The smallest battery, array and generator that meet the rig's aim on all days asked, from blocks and modules like those on board and generators
/// as they are sold. The cabin must hold as well as the charge; the start is asked of each bank at the reserve. Long work: reports progress and can
/// be stopped.
/// </summary>
public sealed class KitSearch : IKitSearch
{
    private readonly EnergyInputs _inputs;
    private readonly StartDesign _start;
    private readonly SizingDesign _sizing;
    private readonly KitEquipment _equipment;
    private readonly KitTrial _trial;
    private readonly CancellationToken _stop;
    private readonly List<SizingDays> _days;
    private readonly List<double> _holds;
    private readonly SizingDemand[] _demands;

    private KitSearch(EnergyInputs inputs, StartDesign start, AcUnit unit, CancellationToken stop)
    {
        (_inputs, _start, _stop) = (inputs with { Unit = unit, Stop = stop }, start, stop);
        _sizing = inputs.Energy.Sizing;
        _equipment = new KitEquipment(_inputs, start, unit);
        _trial = new KitTrial(_inputs, _equipment, stop);
        _days = SizingDays.Of(_inputs);
        _holds = [.. Enumerable.Range(0, 1 + (int)_sizing.WarmerK).Select(k => inputs.Energy.SetpointC + k)
            .Where(h => h <= 35 && h - inputs.Energy.SetpointC + inputs.Energy.OtherwiseC <= 40)];
        _demands = new SizingDemand[_holds.Count * _days.Count];
    }

    /// <summary>Searches.</summary>
    /// <param name="inputs">The Energy station's inputs with the rig's day.</param>
    /// <param name="start">Start station's inputs.</param>
    /// <param name="unit">The unit chosen.</param>
    /// <param name="year">A year of weather through which the kits found are run; none where the rig names none.</param>
    /// <param name="progress">Told after each map.</param>
    /// <param name="stop">Ends the search.</param>
    /// <exception cref="InputException">No bank on board to take blocks from, or a reserve above 0.8.</exception>
    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static SizingResult Run(EnergyInputs inputs, StartDesign start, UnitAssessment unit, WeatherYear? year = null,
        IProgress<SizingProgress>? progress = null, CancellationToken stop = default)
    {
        if (!inputs.Survey.Sources.Battery.Fitted)
            throw new InputException("survey.sources.battery", "none", "Say what one battery block is like; the search counts such blocks.");
        var search = new KitSearch(inputs, start, unit.Unit, stop);
        search.Draw();
        return search.Search(year, progress);
    }

    /// <summary>What the unit draws on each of the days at each set-point, and the equipment that carries it.</summary>
    private void Draw()
    {
        Parallel.For(0, _demands.Length, new ParallelOptions { CancellationToken = _stop },
            i => _demands[i] = SizingDemand.Of(Held(_holds[i / _days.Count]), _days[i % _days.Count]));
        _equipment.Choose(PeakW, PeakLoadsW);
    }

    private EnergyInputs Held(double setpointC) => _inputs with
    {
        Energy = _inputs.Energy with { SetpointC = setpointC, OtherwiseC = _inputs.Energy.OtherwiseC + setpointC - _inputs.Energy.SetpointC, StartSoc = 1 },
    };

    private SizingResult Search(WeatherYear? year, IProgress<SizingProgress>? progress)
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
        var scenarios = _days.Select((d, i) => new SizingScenario(d.Id, d.Words, _demands[i].Case.AirconW!.Sum() * RigDay.StepS / 3600,
            SystemSizing.Least(maps[i]), _trial.Of(_demands[i], Design(0, d.Aged), fitted, giveUp: false).MinSoc)).ToList();
        var frontier = Frontier(held);
        var years = year is null ? null : new KitYears(_inputs, year, _stop);
        frontier = years?.Through(frontier) ?? frontier;
        var findings = new KitFindings(this, _inputs, _start, _equipment, scenarios, frontier, _holds, held, fitted, _demands);
        return new SizingResult
        {
            SetpointC = _holds[0],
            MostBatteries = _sizing.MostBatteries,
            Maps = [.. generators.Index().GroupBy(g => g.Item?.RatedW ?? 0, g => g.Index).Select(g => Shown(g.Key, held, [.. g], maps))],
            Fitted = fitted,
            Scenarios = scenarios,
            Frontier = frontier,
            LastsTheYear = years?.Smallest(frontier, Candidates(held)),
            YearAsked = year is not null,
            Steps = Steps(fitted),
            Findings = [.. findings.All()],
            Evaluations = _trial.Runs,
            Inverter = _equipment.Inverter,
        };
    }

    private bool[][] Map(int demand, GeneratorChoice? generator)
    {
        var asked = Fitted(_demands[demand], generator);
        var design = Fitted(Design(demand / _days.Count, asked.Days.Aged), generator);
        bool Holds(KitSize kit) => _equipment.Starts(kit.Batteries)
            && _trial.Of(asked, design, kit) is { Meets: true } run && run.GeneratorHours <= _sizing.MostGeneratorHours;
        // With a generator a larger kit may end lower, since its starting rule acts on the charge; the staircase would miss kits.
        return asked.Case.Generator is null
            ? SystemSizing.Map(SystemSizing.Staircase(_sizing.MostBatteries, _sizing.MostModules, Holds), _sizing.MostBatteries)
            : SystemSizing.FullMap(_sizing.MostBatteries, _sizing.MostModules, Holds);
    }

    /// <summary>The design day at a set-point, with a bank as old as asked.</summary>
    private SizingDemand Design(int hold, bool aged)
    {
        var day = _days.FindIndex(d => d.Id.StartsWith("design", StringComparison.Ordinal) && d.Aged == aged);
        return _demands[hold * _days.Count + day];
    }

    /// <summary>A demand with the inverter chosen and a generator tried.</summary>
    private SizingDemand Fitted(SizingDemand demand, GeneratorChoice? generator) =>
        demand with { Case = _equipment.WithGenerator(_equipment.WithInverter(demand.Case), generator) };

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
                var every = _equipment.WithGenerator(_demands[0].Case, _equipment.Generators[g]).Generator is not null;
                kits.AddRange(map.SelectMany(
                    (column, a) => column.Index().Where(c => c.Item).Take(every ? column.Length : 1).Select(c => (g, h, new KitSize(c.Index + 1, a)))));
            }
        var points = new FrontierPoint[kits.Count];
        Parallel.For(0, kits.Count, new ParallelOptions { CancellationToken = _stop },
            i => points[i] = Point(kits[i].Hold, kits[i].Kit, _equipment.Generators[kits[i].Generator]));
        var byKit = points.Where(p => Within(p.Kit)).DistinctBy(p => p.Kit).ToDictionary(p => p.Kit);
        return [.. SystemSizing.Frontier(byKit.Keys).Select(kit => byKit[kit])];
    }

    /// <summary>Every kit that holds at the aim's own set-point without a generator bought, the cheapest first.</summary>
    private IEnumerable<FrontierPoint> Candidates(MeetingKits held) => held.At(0, 0)
        .SelectMany((column, a) => column.Index().Where(c => c.Item).Select(c => new KitSize(c.Index + 1, a)))
        .OrderBy(kit => _equipment.Point(_holds[0], kit, _equipment.Generators[0], 0).Cost)
        .Select(kit => Point(0, kit, _equipment.Generators[0]))
        .Where(p => Within(p.Kit));

    private bool Within(KitPoint kit) => kit.Cost <= (_sizing.MostCost ?? double.MaxValue) && kit.MassKg <= (_sizing.MostMassKg ?? double.MaxValue);

    private FrontierPoint Point(int hold, KitSize size, GeneratorChoice? generator)
    {
        var runs = _days.Select((d, i) => _trial.Of(Fitted(_demands[hold * _days.Count + i], generator), Fitted(Design(hold, d.Aged), generator), size,
            giveUp: false)).ToList();
        var kit = _equipment.Point(_holds[hold], size, generator, Math.Ceiling(runs.Max(r => r.GeneratorHours)));
        List<double?> socs = [.. runs.Select(r => r.MinSoc)];
        return new FrontierPoint(kit, socs, _days[socs.IndexOf(socs.Min())].Words, generator, runs.Max(r => r.FuelLitres), _equipment.Adopt(kit, generator));
    }

    /// <summary>How a kit stands all days at one of the set-points; with what is on board else, or with a generator bought.</summary>
    private KitStand Stand(int hold, KitSize kit, GeneratorChoice? bought)
    {
        var (fails, worst, givesOut, generatorHours) = (0, 1.0, double.PositiveInfinity, 0.0);
        SizingDemand With(SizingDemand d) => bought is null ? d : d with { Case = _equipment.WithGenerator(d.Case, bought) };
        for (var i = 0; i < _days.Count; i++)
        {
            var run = _trial.Of(With(_demands[hold * _days.Count + i]), With(Design(hold, _days[i].Aged)), kit);
            worst = Math.Min(worst, run.MinSoc ?? 0);
            generatorHours = Math.Max(generatorHours, run.GeneratorHours);
            if (run.Meets)
                continue;
            fails++;
            givesOut = Math.Min(givesOut, run.GivesOutHour ?? 0);
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

    /// <inheritdoc />
    double IKitSearch.MissingWh()
    {
        var design = Fitted(Design(0, false), _equipment.Generators[0]);
        var bank = SourceBuilder.Bank(_equipment.Bank(VastBank * _sizing.MostBatteries, false));
        var run = EnergySimulation.Run(design.Case.Cut(0, design.Case.Steps, 2) with
        {
            Bank = bank,
            Modules = design.Case.Modules with { Count = _sizing.MostModules },
            StartSoc = HalfWay,
        });
        return (bank.StoredJ(HalfWay) - bank.StoredJ(run.EndSoc)) / 3600 / 2;
    }

    /// <summary>A bank so large that its charge hardly moves in a day, as a multiple of the largest allowed.</summary>
    private const int VastBank = 10;

    /// <summary>A charge from which it takes all the sun gives and runs dry of nothing.</summary>
    private const double HalfWay = 0.6;

    /// <inheritdoc />
    int? IKitSearch.ModulesThatHold()
    {
        for (var modules = _sizing.MostModules + 1; modules <= MostModulesAsked; modules++)
            if (Stands(_equipment.Generators[0], new KitSize(_sizing.MostBatteries, modules)))
                return Finds(s => s with { MostModules = modules }) ? modules : null;
        return null;
    }

    /// <summary>Modules that a search can be asked about.</summary>
    private const int MostModulesAsked = 60;

    /// <summary>Whether a kit stands all days at the aim's own set-point.</summary>
    private bool Stands(GeneratorChoice? generator, KitSize kit) => _equipment.Starts(kit.Batteries) && _days.Select((d, i) =>
        _trial.Of(Fitted(_demands[i], generator), Fitted(Design(0, d.Aged), generator),
            kit)).All(r => r.Meets && r.GeneratorHours <= _sizing.MostGeneratorHours);

    /// <inheritdoc />
    public bool Finds(Func<SizingDesign, SizingDesign> change)
    {
        var search = new KitSearch(_inputs with { Energy = _inputs.Energy with { Sizing = change(_sizing) with { WarmerK = 0 } } }, _start, _inputs.Unit,
            _stop);
        search.Draw();
        var largest = new KitSize(search._sizing.MostBatteries, search._sizing.MostModules);
        bool May(GeneratorChoice? generator) => search.Within(search._equipment.Point(search._holds[0], largest, generator, 0)) && search.Stands(generator,
            largest);
        return search._equipment.Generators.Any(May) || search.FindsAny();
    }

    /// <summary>Whether any kit within the limits stands all days at the aim's own set-point.</summary>
    private bool FindsAny() => _equipment.Generators.Any(generator =>
    {
        var map = All(Enumerable.Range(0, _days.Count).Select(i => Map(i, generator)).ToArray());
        return map.Index().Any(column => column.Item.Index().Any(
            cell => cell.Item && Within(_equipment.Point(_holds[0], new KitSize(cell.Index + 1, column.Index), generator, 0))));
    });

    /// <inheritdoc />
    (AcUnit Unit, KitPoint? Kit)? IKitSearch.LargerUnit()
    {
        var own = _inputs.Unit;
        foreach (var unit in UnitCatalogue.All.Where(u => u.RatedCapacityW > own.RatedCapacityW && u.SupplyVoltageV == own.SupplyVoltageV
            && u.FrequencyHz == own.FrequencyHz).OrderBy(u => u.RatedCapacityW).ThenBy(u => u.RatedPowerW))
        {
            var search = new KitSearch(_inputs, _start, unit, _stop);
            if (_days.Select(d => SizingDemand.Of(search.Held(_holds[0]), d)).Any(d => d.UnitLimited))
                continue;
            search.Draw();
            var maps = search._demands.Take(_days.Count).Select((_, i) => search.Map(i, search._equipment.Generators[0])).ToArray();
            return (unit, search.Candidates(new MeetingKits([[All(maps)]])).FirstOrDefault()?.Kit);
        }
        return null;
    }

    /// <inheritdoc />
    double? IKitSearch.SoftStarterThatStarts()
    {
        if (!_inputs.Unit.SingleSpeed || _start.Remedy != StartRemedy.None)
            return null;
        return Reductions.Cast<double?>().FirstOrDefault(reduction =>
        {
            var equipment = new KitEquipment(_inputs, _start with { Remedy = StartRemedy.SoftStarter, Reduction = reduction!.Value }, _inputs.Unit);
            equipment.Choose(PeakW, PeakLoadsW);
            return !equipment.NoneStarts;
        });
    }

    /// <summary>Reductions of soft starters as they are sold, the usual one first; common practice.</summary>
    private static readonly double[] Reductions = [KitEquipment.SoftReduction, 0.60, 0.70, 0.55, 0.50, 0.45, 0.40];

    private double PeakW => _demands.Max(d => d.Case.AirconW!.Zip(d.Case.AcLoadW, (u, l) => u + l).Max());

    private double PeakLoadsW => _demands.Max(d => d.Case.AcLoadW.Max());
}
