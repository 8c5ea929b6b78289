using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>Runs the design day and night of a rig with its sources.</summary>
public sealed class DayRun
{
    private readonly EnergyInputs _inputs;
    private readonly RigDay _day;
    private readonly ThermalSpace _begun;
    private readonly double _wetBulb;
    private readonly double? _ratio;
    private readonly int _first;
    private readonly double[] _hours;
    private readonly EnergyCase _case;

    /// <summary>Makes ready: the rig's state when the day begins and all that is the same in every run of it.</summary>
    /// <param name="inputs">The station's inputs.</param>
    /// <param name="day">The rig's day; weather and sun hold through each of its steps.</param>
    /// <param name="stepS">Seconds a step of the run, a divisor of the day's.</param>
    /// <param name="days">How often the day repeats.</param>
    public DayRun(EnergyInputs inputs, RigDay day, int stepS, int days = 1)
    {
        _inputs = inputs;
        _day = day;
        StepS = stepS;
        var space = day.Space;
        _wetBulb = MoistAir.WetBulb(space.SetpointC, space.SetpointRatio, space.Weather.PressurePa);
        (_begun, _ratio) = HeldUntil(inputs.Energy.StartHour);
        var count = days * 86400 / stepS;
        _first = (int)Math.Round(inputs.Energy.StartHour * 3600 / day.Seconds) % day.Weather.Length * (day.Seconds / stepS);
        _hours = new double[count];
        for (var k = 0; k < count; k++)
            _hours[k] = (_first + k + 0.5) * StepS / 3600.0 % 24;
        _case = Case();
    }

    /// <summary>Seconds a step.</summary>
    public int StepS { get; }

    /// <summary>
    /// The unit's draw when nothing limits it, as a case to be run with any bank and any modules: a kit that feeds the unit never limits it.
    /// </summary>
    public EnergyCase Demand() => Free().Case;

    /// <summary>The same with the run it comes from, which says how warm the cabin gets with all the supply it wants.</summary>
    internal (EnergyCase Case, EnergyResult Result, double[] Hours) Free()
    {
        var free = _case with
        {
            SetpointC = Setpoints(_inputs.Energy.SetpointC),
            Bank = new BatteryBank(Chemistry.Lfp, 16, 1e7),
            Levels = new BatteryLevels(),
            EcoSoc = 0,
            PreCoolK = 0,
            Inverter = new EnergyInverter(new InverterModel(1e6, 0), 1e6),
            Modules = _case.Modules with { Count = 0 },
            Generator = null,
            ShoreW = null,
            StartSoc = 1,
        };
        var result = EnergySimulation.Run(free, Cabin());
        return (_case with { SetpointC = free.SetpointC, AirconW = result.AirconW, ShoreW = null }, result, _hours);
    }

    private SpaceCabin Cabin() =>
        new(_day.Space, _day.Drivers, _begun, _wetBulb, _ratio is { } ratio ? _day.Space.Moisture(ratio) : null, _first, StepS);

    private double[] Setpoints(double setpointC) => Array.ConvertAll(_hours, h =>
        Day.Within(h, _inputs.Energy.From, _inputs.Energy.To) ? setpointC : _inputs.Energy.Setpoints.FirstOrDefault(s => Day.Within(h, s.From, s.To))?.SetpointC
            ?? _inputs.Energy.OtherwiseC);

    /// <summary>Runs 24 hours from the hour the day begins.</summary>
    /// <param name="setpointC">Set-point in the window; null takes the design's.</param>
    public (EnergyResult Result, EnergyCase Case, double[] Hours) Run(double? setpointC = null) => RunWith(Setpoints(setpointC ?? _inputs.Energy.SetpointC));

    /// <summary>Runs it with the design's set-points raised by so many kelvin at an hour of the day.</summary>
    public (EnergyResult Result, EnergyCase Case, double[] Hours) RunRaised(Func<double, double> kelvinAt) =>
        RunWith([.. Setpoints(_inputs.Energy.SetpointC).Select((c, k) => c + kelvinAt(_hours[k]))]);

    private (EnergyResult Result, EnergyCase Case, double[] Hours) RunWith(double[] setpointC)
    {
        var energyCase = _case with { SetpointC = setpointC };
        var cabin = Cabin();
        return (EnergySimulation.Run(energyCase, cabin), energyCase, _hours);
    }

    /// <summary>The rig held as by day until an hour: its nodes, and the moisture that its unit leaves in the air.</summary>
    private (ThermalSpace Model, double? Ratio) HeldUntil(double hour)
    {
        var model = new ThermalSpace(_day.Space);
        model.Prepare(_day.Seconds);
        model.CopyStateFrom(_day.Settled);
        var target = _inputs.Energy.OtherwiseC;
        var first = (int)Math.Round(hour * 3600 / _day.Seconds);
        for (var k = 0; k < first; k++)
        {
            var (convective, radiant) = _day.Drivers.GainSplit(k);
            model.Begin(_day.Drivers.At(k), _day.Drivers.OutdoorC[k], convective, radiant);
            model.End(Math.Min(model.HubB / model.HubA, target));
        }
        return (model, _inputs.Energy.Humidity == HumidityModel.Fixed ? null : HeldMoisture.At(_day, _inputs, first));
    }

    /// <summary>Draw of the devices of one supply by step, W.</summary>
    private double[] Devices(DeviceSupply supply)
    {
        var watts = new double[_hours.Length];
        foreach (var device in _inputs.Survey.Devices)
            for (var k = 0; device.Supply == supply && k < watts.Length; k++)
                watts[k] += Day.Within(_hours[k], device.From, device.To) ? device.PowerW : 0;
        return watts;
    }

    /// <summary>Charging while driving, W: what the alternator leaves to its DC-DC charger, or the watts typed.</summary>
    public static double AlternatorW(SourcesDesign sources) => sources.Alternator is { RatedA: { } rated } alternator
        ? OtherSources.DcDc(rated, OtherSources.CruiseShare, alternator.VehicleA, alternator.LimitA, sources.Battery.BankV).OutputW
        : sources.Alternator.PowerW;

    private WeatherMoment At(int step) => _day.Weather[(_first + step) * StepS / _day.Seconds % _day.Weather.Length];

    private EnergyCase Case()
    {
        var sources = _inputs.Survey.Sources;
        var hasBank = sources.Battery.Fitted;
        var bank = hasBank ? SourceBuilder.Bank(sources.Battery) : new BatteryBank(Chemistry.Lfp, 16, 0.01);
        var inverter = hasBank && sources.Inverter.Fitted ? SourceBuilder.Inverter(sources.Inverter) : (InverterModel?)null;
        var lead = !sources.Battery.Chemistry.IsLithium();
        double[] Map(Func<double, double> f) => Array.ConvertAll(_hours, h => f(h));
        var nothing = new double[_hours.Length];
        var devicesRun = inverter is not null || sources.Shore.PluggedIn || sources.Generator.Fitted;
        return new EnergyCase
        {
            Unit = _inputs.Unit,
            Stop = _inputs.Stop,
            Bank = bank,
            StepS = StepS,
            OutdoorC = [.. _hours.Select((_, k) => At(k).AirC)],
            IrradianceWm2 = [.. _hours.Select((_, k) => At(k).Sky.Global)],
            SetpointC = nothing,
            DcLoadW = hasBank ? Devices(DeviceSupply.Dc) : nothing,
            AcLoadW = devicesRun ? Devices(DeviceSupply.Ac) : nothing,
            AlternatorW = hasBank && AlternatorW(sources) is > 0 and var alternator ? Map(
                h => Day.Within(h, sources.Alternator.From, sources.Alternator.To) ? alternator : 0) : null,
            LowestOnly = _inputs.Energy.Setpoints.Any(
                s => s.Dry) ? Array.ConvertAll(_hours, h => _inputs.Energy.Setpoints.Any(s => s.Dry && Day.Within(h, s.From, s.To))) : null,
            Assist = sources.Shore.Assist && inverter is not null,
            ShoreW = sources.Shore.PluggedIn ? Map(_ => sources.Shore.Volts * sources.Shore.BreakerA * 0.8) : null,
            Inverter = inverter is { } model ? new EnergyInverter(model, sources.Inverter.ContinuousW) : null,
            Modules = new EnergyModules(sources.Modules.Count, sources.Modules.RatedW, Ross: sources.Modules.CellRise(_inputs.Survey.Place.WindMs),
                DirectToUnit: _inputs.Unit.Kind == AcKind.PvAssistedSplit),
            Generator = Generator(sources, hasBank),
            GeneratorAllowed = Array.ConvertAll(_hours, h => Day.Within(h, sources.Generator.AllowedFrom, sources.Generator.AllowedTo)),
            ChargerAcMaxW = hasBank ? sources.Generator.ChargerW : 0,
            StartSoc = hasBank ? _inputs.Energy.StartSoc : 0.5,
            Levels = Levels(lead && hasBank ? BatteryLevels.Lead : new BatteryLevels()),
            EcoSoc = hasBank ? _inputs.Energy.EcoSoc : 0,
            EcoRiseK = _inputs.Energy.EcoRiseK,
            PreCoolK = hasBank ? _inputs.Energy.PreCoolK : 0,
            PowerCapW = _inputs.Energy.PowerCapW ?? double.PositiveInfinity,
            FanOn = !_inputs.FanOnAuto && !_inputs.Unit.FanRestsWithCompressor,
            InletRiseK = _inputs.UnitDesign.InletRiseK,
            CapacityFactor = Capacity.PlaceFactor(_day.Space.Weather.PressurePa, _inputs.UnitDesign.AirFlowShare),
        };
    }

    /// <summary>Where the unit stops at the reserve, it comes back a tenth above it.</summary>
    private BatteryLevels Levels(BatteryLevels usual) => _inputs.Energy.StopAtReserve && _inputs.ReserveSoc > usual.Cut
        ? usual with { AirOff = _inputs.ReserveSoc, AirOn = Math.Min(0.99, _inputs.ReserveSoc + 0.1) }
        : usual;

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
