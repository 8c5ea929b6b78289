using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>Runs the design day and night of a rig with its sources.</summary>
internal sealed class DayRun
{
    private readonly EnergyInputs _inputs;
    private readonly RigDay _day;
    private readonly ThermalSpace _begun;
    private readonly double _wetBulb;

    /// <summary>Makes ready: the rig's state when the day begins.</summary>
    public DayRun(EnergyInputs inputs, RigDay day)
    {
        _inputs = inputs;
        _day = day;
        var space = day.Space;
        _wetBulb = MoistAir.WetBulb(space.SetpointC, space.SetpointRatio, space.Weather.PressurePa);
        _begun = HeldUntil(inputs.Energy.StartHour);
    }

    /// <summary>Seconds a step.</summary>
    public int StepS => _day.Seconds;

    /// <summary>Runs 24 hours from the hour the day begins.</summary>
    /// <param name="holdC">Set-point in the window; null takes the design's.</param>
    public (EnergyResult Result, EnergyCase Case, double[] Hours) Run(double? holdC = null)
    {
        var count = _day.Weather.Length;
        var first = (int)Math.Round(_inputs.Energy.StartHour * 3600 / StepS) % count;
        var hours = new double[count];
        for (var k = 0; k < count; k++)
            hours[k] = (first + k + 0.5) * StepS / 3600.0 % 24;
        var energyCase = Case(hours, first, holdC ?? _inputs.Energy.HoldC);
        var cabin = new SpaceCabin(_day.Space, _day.Drivers, _begun, _wetBulb, first, StepS);
        return (EnergySimulation.Run(energyCase, cabin), energyCase, hours);
    }

    private ThermalSpace HeldUntil(double hour)
    {
        var model = new ThermalSpace(_day.Space);
        model.Prepare(StepS);
        model.CopyStateFrom(_day.Settled);
        var target = _inputs.Energy.OtherwiseC;
        var first = (int)Math.Round(hour * 3600 / StepS);
        for (var k = 0; k < first; k++)
        {
            var (convective, radiant) = _day.Drivers.GainSplit(k);
            model.Begin(_day.Drivers.At(k), _day.Drivers.OutdoorC[k], convective, radiant);
            var free = model.HubB / model.HubA;
            model.End(Math.Min(free, target));
        }
        return model;
    }

    private EnergyCase Case(double[] hours, int first, double holdC)
    {
        var sources = _inputs.Survey.Sources;
        var hasBank = sources.Battery.Fitted;
        var bank = hasBank ? SourceBuilder.Bank(sources.Battery) : new BatteryBank(Chemistry.Lfp, 16, 0.01);
        var inverter = hasBank && sources.Inverter.Fitted ? SourceBuilder.Inverter(sources.Inverter) : (InverterModel?)null;
        var lead = sources.Battery.Chemistry is Chemistry.Agm or Chemistry.Flooded;
        double[] Map(Func<double, double> f) => Array.ConvertAll(hours, h => f(h));
        double Devices(DeviceSupply supply, double hour) => _inputs.Survey.Devices.Where(d => d.Supply == supply && Day.Within(hour, d.From, d.To)).Sum(d => d.PowerW);
        var devicesRun = inverter is not null || sources.Shore.Fitted || sources.Generator.Fitted;
        return new EnergyCase
        {
            Unit = _inputs.Unit,
            Bank = bank,
            StepS = StepS,
            OutdoorC = [.. hours.Select((_, k) => _day.Weather[(first + k) % _day.Weather.Length].AirC)],
            IrradianceWm2 = [.. hours.Select((_, k) => _day.Weather[(first + k) % _day.Weather.Length].Sky.Global)],
            SetpointC = Map(h => Day.Within(h, _inputs.Energy.From, _inputs.Energy.To) ? holdC : _inputs.Energy.OtherwiseC),
            DcLoadW = Map(h => hasBank ? Devices(DeviceSupply.Dc, h) : 0),
            AcLoadW = Map(h => devicesRun ? Devices(DeviceSupply.Ac, h) : 0),
            AlternatorW = sources.Alternator.PowerW > 0 && hasBank ? Map(h => Day.Within(h, sources.Alternator.From, sources.Alternator.To) ? sources.Alternator.PowerW : 0) : null,
            ShoreW = sources.Shore.Fitted ? Map(_ => sources.Shore.Volts * sources.Shore.BreakerA * 0.8) : null,
            Inverter = inverter is { } model ? new EnergyInverter(model, model.RatedW) : null,
            Modules = new EnergyModules(sources.Modules.Count, sources.Modules.RatedW, Ross: Modules.RossCoefficient(sources.Modules.Mounting), DirectToUnit: _inputs.Unit.Kind == AcKind.PvAssistedSplit),
            Generator = Generator(sources, hasBank),
            GeneratorAllowed = Array.ConvertAll(hours, h => Day.Within(h, sources.Generator.AllowedFrom, sources.Generator.AllowedTo)),
            ChargerAcMaxW = hasBank ? sources.Generator.ChargerW : 0,
            StartSoc = hasBank ? _inputs.Energy.StartSoc : 0.5,
            Levels = lead && hasBank ? BatteryLevels.Lead : new BatteryLevels(),
            FanOn = !_inputs.Unit.FanRestsWithCompressor,
            InletRiseK = _inputs.UnitDesign.InletRiseK,
        };
    }

    private EnergyGenerator? Generator(SourcesDesign sources, bool hasBank)
    {
        var generator = sources.Generator;
        if (!generator.Fitted || hasBank && !generator.AutoStart)
            return null;
        var left = Generators.DerateFactor(_inputs.Survey.Place.ElevationM, _inputs.Survey.Place.DryBulbC);
        return hasBank
            ? new EnergyGenerator(generator.RatedW, generator.RatedW * left, generator.Fuel, generator.StartSoc, generator.StopSoc)
            : new EnergyGenerator(generator.RatedW, generator.RatedW * left, generator.Fuel, 1, 1);
    }
}
