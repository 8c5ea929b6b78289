using Vanto.Core.Findings;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>
/// What goes with blocks and modules: the inverter and the soft starter, generators as they are sold, what a kit costs and weighs, and
/// whether the unit starts on it. Prices are those of the sizing.
/// </summary>
public sealed class KitEquipment
{
    /// <summary>Reduction of the soft starter that is bought, common practice.</summary>
    public const double SoftReduction = 0.65;

    private const double AgedCapacity = 0.8;

    /// <summary>Inverter generators as sold weigh 11 to 13 kg a kilowatt; common practice, no published source.</summary>
    private const double GeneratorKgPerW = 0.012;

    /// <summary>The charger takes so much of a generator's rating, so that loads find room beside it; common practice.</summary>
    private const double ChargerShare = 0.8;

    /// <summary>Charges at which a generator starts and stops: late and short, in between, early and long. Each is tried; common practice.</summary>
    private static readonly (double Start, double Stop)[] Rules = [(0.30, 0.60), (0.45, 0.75), (0.60, 0.90)];

    private readonly EnergyInputs _inputs;
    private readonly StartDesign _start;
    private readonly AcUnit _unit;
    private readonly SizingDesign _sizing;
    private readonly SourcesDesign _sources;
    private bool[] _starts = [];

    /// <summary>Makes ready what is on board.</summary>
    public KitEquipment(EnergyInputs inputs, StartDesign start, AcUnit unit)
    {
        (_inputs, _start) = (inputs, start);
        _unit = Measured(inputs.Survey, start, unit);
        _sizing = inputs.Energy.Sizing;
        _sources = inputs.Survey.Sources;
    }

    /// <summary>The unit with its motor as measured on the source on board; the plate's where that source cannot be built.</summary>
    private static AcUnit Measured(SurveyDesign survey, StartDesign start, AcUnit unit)
    {
        try
        {
            return StartStation.AsMeasured(survey, start, unit);
        }
        catch (InputException)
        {
            return unit;
        }
    }

    /// <summary>The inverter chosen; null where none is asked for or none does.</summary>
    public InverterChoice? Inverter { get; private set; }

    /// <summary>The generators tried; a null stands for none, or for what is on board where none is to be bought.</summary>
    public IReadOnlyList<GeneratorChoice?> Generators { get; private set; } = [null];

    /// <summary>Chooses for the most that a rig draws on its AC side.</summary>
    /// <param name="peakW">Unit and loads together.</param>
    /// <param name="peakLoadsW">Loads alone.</param>
    public void Choose(double peakW, double peakLoadsW)
    {
        Inverter = CheapestInverter(peakW);
        _starts = new bool[_sizing.MostBatteries + 1];
        Parallel.For(1, _starts.Length, b => _starts[b] = StartsOnBank(b, Inverter));
        if (_sizing.ChooseGenerator)
            Generators = [null, .. GeneratorSteps(_unit.IsDc ? peakLoadsW : peakW)];
    }

    /// <summary>Whether the unit starts and runs on so many blocks at the reserve.</summary>
    public bool Starts(int blocks) => _starts[blocks];

    /// <summary>True where no bank within the limits starts it.</summary>
    public bool NoneStarts => _starts.Skip(1).All(s => !s);

    /// <summary>A bank of so many blocks.</summary>
    public BatteryDesign Bank(int blocks, bool aged) =>
        _sources.Battery with { Blocks = blocks, CapacityLeft = aged ? Math.Min(_sources.Battery.CapacityLeft, AgedCapacity) : _sources.Battery.CapacityLeft };

    /// <summary>A demand with the inverter chosen.</summary>
    public EnergyCase WithInverter(EnergyCase demand) => Inverter is { } chosen
        ? demand with { Inverter = new EnergyInverter(SourceBuilder.Inverter(Fitted(chosen)), Fitted(chosen).ContinuousW) }
        : demand;

    /// <summary>A demand with a generator tried.</summary>
    public EnergyCase WithGenerator(EnergyCase demand, GeneratorChoice? generator)
    {
        if (!_sizing.ChooseGenerator)
            return demand;
        return generator is null
            ? demand with { Generator = null }
            : demand with
            {
                Generator = new EnergyGenerator(generator.RatedW, generator.RatedW * Derate, _sources.Generator.Fuel, generator.StartSoc, generator.StopSoc),
                ChargerAcMaxW = generator.ChargerW
            };
    }

    /// <summary>The kit with its cost and weight.</summary>
    public KitPoint Point(double hold, KitSize size, GeneratorChoice? generator, double generatorHours) => new(
        hold, size.Batteries, size.Modules,
        size.Batteries * _sources.Battery.Series * _sizing.BatteryCost + size.Modules * _sizing.ModuleCost + (Inverter?.Cost ?? 0) + (generator?.Cost ?? 0),
        CellData.Of(_sources.Battery.Chemistry).KgPerKWh * (_sources.Battery with { Blocks = size.Batteries }).BankKWh
            + size.Modules * _sources.Modules.RatedW * Modules.KgPerW + (generator?.MassKg ?? 0),
        generator?.RatedW ?? 0, generatorHours);

    /// <summary>What adopting a kit does to the design.</summary>
    public DesignEdit Adopt(KitPoint kit, GeneratorChoice? generator)
    {
        var edit = DesignEdit.Of(_inputs.Survey, s => s.WithBattery(b => b with { Blocks = kit.Batteries }).WithModules(m => m with { Count = kit.Modules }));
        if (kit.SetpointC != _inputs.Energy.SetpointC)
            edit = edit.And(Warmer(kit.SetpointC));
        // Economy would let the cabin grow warmer than the aim that the kit was found for.
        if (_inputs.Energy.EcoSoc > 0)
            edit = edit.And(_inputs.Energy, e => e with { EcoSoc = 0 });
        if (_sizing.ChooseGenerator)
            edit = edit.And(Adopt(generator));
        if (Inverter is not { } inverter)
            return edit;
        edit = edit.And(_inputs.Survey, s => s.WithInverter(i => i.Replaced(inverter.RatedW)));
        return inverter.Remedy == _start.Remedy ? edit
            : edit.And(_start, s => s with { Remedy = inverter.Remedy, Reduction = inverter.Remedy == StartRemedy.SoftStarter ? SoftReduction : s.Reduction });
    }

    /// <summary>Fits a generator, or takes it off board.</summary>
    public DesignEdit Adopt(GeneratorChoice? generator) => DesignEdit.Of(_inputs.Survey, s => s.WithGenerator(g => generator is null
        ? g with { Fitted = false }
        : g with
        {
            Fitted = true,
            AutoStart = true,
            RatedW = generator.RatedW,
            MaximumW = generator.MaximumW,
            ChargerW = generator.ChargerW,
            StartSoc = generator.StartSoc,
            StopSoc = generator.StopSoc,
            OutputV = OutputV,
        }));

    /// <summary>Holds a warmer set-point, by day as by night.</summary>
    public DesignEdit Warmer(double setpointC) =>
        DesignEdit.Of(_inputs.Energy, e => e with { SetpointC = setpointC, OtherwiseC = e.OtherwiseC + setpointC - e.SetpointC });

    private double Derate => Supply.Generators.DerateFactor(_inputs.Survey.Place.ElevationM, _inputs.Survey.Place.DryBulbC);

    private double OutputV => _unit.IsDc ? _sources.Generator.OutputV : _unit.SupplyVoltageV < 150 ? 120 : _sources.Inverter.OutputV;

    private InverterDesign Fitted(InverterChoice chosen) => _sources.Inverter.Replaced(chosen.RatedW);

    /// <summary>The cheapest inverter of the class on board that carries the most drawn and starts the unit, with or without a soft starter.</summary>
    private InverterChoice? CheapestInverter(double peakW)
    {
        if (!_sizing.ChooseInverter || _unit.IsDc || !_sources.Inverter.Fitted)
            return null;
        StartRemedy[] remedies = _unit.SingleSpeed ? [StartRemedy.None, StartRemedy.SoftStarter] : [_start.Remedy];
        return remedies.SelectMany(r => SourceBuilder.InverterStepsW.Where(w => Fitted(new InverterChoice(w, r, 0)).ContinuousW >= peakW)
                .Select(w => new InverterChoice(w, r, w / 1000 * _sizing.InverterCost + (r == StartRemedy.SoftStarter ? _sizing.StarterCost : 0)))
                .Where(c => StartsOnBank(_sizing.MostBatteries, c)).Take(1))
            .MinBy(c => c.Cost);
    }

    /// <summary>Generators of the kind the survey names that carry the most drawn and start the unit with what helps it.</summary>
    private IEnumerable<GeneratorChoice> GeneratorSteps(double peakW)
    {
        var kind = _sources.Generator.Kind == GeneratorKind.Inverter ? SourceClass.InverterGenerator : SourceClass.ConventionalGenerator;
        return SourceSteps.Of(kind)
            .Where(step => step.RatedW * Derate >= peakW && StartsOnGenerator(step))
            .SelectMany(step => Rules.Where(r => r.Start > _inputs.ReserveSoc)
                .Select(r => new GeneratorChoice(step.RatedW, step.MaximumW, ChargerShare * step.RatedW, r.Start, r.Stop,
                    step.RatedW / 1000 * _sizing.GeneratorCost, step.RatedW * GeneratorKgPerW)));
    }

    private bool StartsOnGenerator(SourceStep generator) => _unit.IsDc || Carries(
        _sources with { Generator = _sources.Generator with { Fitted = true, RatedW = generator.RatedW, MaximumW = generator.MaximumW, OutputV = OutputV } },
        _start with { On = SourceChoice.Generator }, Inverter);

    private bool StartsOnBank(int blocks, InverterChoice? inverter)
    {
        if (!_unit.IsDc && !_sources.Inverter.Fitted)
            return true;
        var sources = _sources with { Battery = Bank(blocks, false), Inverter = inverter is null ? _sources.Inverter : Fitted(inverter) };
        return Carries(sources, _unit.IsDc ? _start : _start with { On = SourceChoice.Inverter }, inverter);
    }

    private bool Carries(SourcesDesign sources, StartDesign on, InverterChoice? inverter)
    {
        var helped = on with
        {
            Soc = Math.Max(0.05, _inputs.ReserveSoc),
            Remedy = inverter?.Remedy ?? on.Remedy,
            Reduction = inverter is { Remedy: StartRemedy.SoftStarter } && on.Remedy != StartRemedy.SoftStarter ? SoftReduction : on.Reduction,
        };
        try
        {
            return StartStation.Outcome(_inputs.Survey with { Sources = sources }, helped, _unit, _inputs.Survey.Place.DryBulbC + _inputs.UnitDesign.InletRiseK)
                is var outcome && (outcome == StartOutcome.Starts || _sizing.ShedForStart && outcome == StartOutcome.StartsOnlyIfShed);
        }
        catch (InputException)
        {
            return false;
        }
    }
}
