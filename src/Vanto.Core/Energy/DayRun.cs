using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Start;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>Prepares and runs the design day and night of a rig.</summary>
internal sealed class DayRun
{
    private const int ThermostatStepS = 60;
    private const int SteadyStepS = 300;

    private readonly SurveyDesign _survey;
    private readonly EnergyDesign _energy;
    private readonly AcUnit _unit;
    private readonly UnitDesign _unitDesign;
    private readonly SpaceDescription _space;
    private readonly SpaceDrivers _drivers;
    private readonly WeatherMoment[] _weather;
    private readonly ThermalSpace _begun;
    private readonly double _wetBulb;

    private DayRun(SurveyDesign survey, EnergyDesign energy, UnitDesign unitDesign, AcUnit unit, SpaceDescription space, WeatherMoment[] weather, ThermalSpace settled)
    {
        _survey = survey;
        _energy = energy;
        _unitDesign = unitDesign;
        _unit = unit;
        _space = space;
        _weather = weather;
        _drivers = SpaceDrivers.Build(space, weather);
        _wetBulb = MoistAir.WetBulb(space.SetpointC, space.SetpointRatio, space.Weather.PressurePa);
        _begun = HeldUntil(energy.StartHour, settled);
    }

    /// <summary>Seconds a step.</summary>
    public int StepS => 86400 / _weather.Length;

    /// <summary>Prepares a rig: its space, weather in the step its unit needs, and its state when the day begins.</summary>
    public static DayRun Prepare(SurveyDesign survey, LoadDesign load, EnergyDesign energy, UnitDesign unitDesign, AcUnit unit, ThermalSpace? warm, bool thermostat)
    {
        var space = SurveyedSpace.Build(survey, load.SetpointC, load.HumidityPct);
        var weather = DesignDay.Steps(space.Weather, thermostat && unit.SingleSpeed ? ThermostatStepS : SteadyStepS);
        var (_, settled) = DesignCoolingLoad.Solve(space, weather.Length == 288 ? weather : DesignDay.Steps(space.Weather, SteadyStepS), warm);
        return new DayRun(survey, energy, unitDesign, unit, space, weather, settled);
    }

    /// <summary>Runs 24 hours from the hour the day begins.</summary>
    /// <param name="holdC">Set-point in the window; null takes the design's.</param>
    public (EnergyResult Result, EnergyCase Case, double[] Hours) Run(double? holdC = null)
    {
        var count = _weather.Length;
        var first = (int)Math.Round(_energy.StartHour * 3600 / StepS) % count;
        var hours = new double[count];
        for (var k = 0; k < count; k++)
            hours[k] = (first + k + 0.5) * StepS / 3600.0 % 24;
        var energyCase = Case(hours, first, holdC ?? _energy.HoldC);
        var cabin = new SpaceCabin(_space, _drivers, _begun, _wetBulb, first, StepS);
        return (EnergySimulation.Run(energyCase, cabin), energyCase, hours);
    }

    private ThermalSpace HeldUntil(double hour, ThermalSpace settled)
    {
        var model = new ThermalSpace(_space);
        model.Prepare(StepS);
        model.CopyStateFrom(settled);
        var target = _energy.OtherwiseC;
        var first = (int)Math.Round(hour * 3600 / StepS);
        for (var k = 0; k < first; k++)
        {
            var (convective, radiant) = _drivers.GainSplit(k);
            model.Begin(_drivers.At(k), _drivers.OutdoorC[k], convective, radiant);
            var free = model.HubB / model.HubA;
            model.End(Math.Min(free, target));
        }
        return model;
    }

    private EnergyCase Case(double[] hours, int first, double holdC)
    {
        var sources = _survey.Sources;
        var hasBank = sources.Battery.Fitted;
        var bank = hasBank ? SourceBuilder.Bank(sources.Battery) : new BatteryBank(Chemistry.Lfp, 16, 0.01);
        var inverter = hasBank && sources.Inverter.Fitted ? SourceBuilder.Inverter(sources.Inverter) : (InverterModel?)null;
        var lead = sources.Battery.Chemistry is Chemistry.Agm or Chemistry.Flooded;
        double[] Map(Func<double, double> f) => Array.ConvertAll(hours, h => f(h));
        double Devices(DeviceSupply supply, double hour) => _survey.Devices.Where(d => d.Supply == supply && Day.Within(hour, d.From, d.To)).Sum(d => d.PowerW);
        var devicesRun = inverter is not null || sources.Shore.Fitted || sources.Generator.Fitted;
        return new EnergyCase
        {
            Unit = _unit,
            Bank = bank,
            StepS = StepS,
            OutdoorC = [.. hours.Select((_, k) => _weather[(first + k) % _weather.Length].AirC)],
            IrradianceWm2 = [.. hours.Select((_, k) => _weather[(first + k) % _weather.Length].Sky.Global)],
            SetpointC = Map(h => Day.Within(h, _energy.From, _energy.To) ? holdC : _energy.OtherwiseC),
            DcLoadW = Map(h => hasBank ? Devices(DeviceSupply.Dc, h) : 0),
            AcLoadW = Map(h => devicesRun ? Devices(DeviceSupply.Ac, h) : 0),
            AlternatorW = sources.Alternator.PowerW > 0 && hasBank ? Map(h => Day.Within(h, sources.Alternator.From, sources.Alternator.To) ? sources.Alternator.PowerW : 0) : null,
            ShoreW = sources.Shore.Fitted ? Map(_ => sources.Shore.Volts * sources.Shore.BreakerA * 0.8) : null,
            Inverter = inverter is { } model ? new EnergyInverter(model, model.RatedW) : null,
            Modules = new EnergyModules(sources.Modules.Count, sources.Modules.RatedW, Ross: Modules.RossCoefficient(sources.Modules.Mounting), DirectToUnit: _unit.Kind == AcKind.PvAssistedSplit),
            Generator = Generator(sources, hasBank),
            GeneratorAllowed = Array.ConvertAll(hours, h => Day.Within(h, sources.Generator.AllowedFrom, sources.Generator.AllowedTo)),
            ChargerAcMaxW = hasBank ? sources.Generator.ChargerW : 0,
            StartSoc = hasBank ? _energy.StartSoc : 0.5,
            Levels = lead && hasBank ? BatteryLevels.Lead : new BatteryLevels(),
            FanOn = !_unit.FanRestsWithCompressor,
            InletRiseK = _unitDesign.InletRiseK,
        };
    }

    private EnergyGenerator? Generator(SourcesDesign sources, bool hasBank)
    {
        var generator = sources.Generator;
        if (!generator.Fitted || hasBank && !generator.AutoStart)
            return null;
        var left = Generators.DerateFactor(_survey.Place.ElevationM, _survey.Place.DryBulbC);
        return hasBank
            ? new EnergyGenerator(generator.RatedW, generator.RatedW * left, generator.Fuel, generator.StartSoc, generator.StopSoc)
            : new EnergyGenerator(generator.RatedW, generator.RatedW * left, generator.Fuel, 1, 1);
    }
}
