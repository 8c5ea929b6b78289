using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>
/// The day, the night or longer in equal steps: cabin, unit, inverter, battery, sun and engines together. Every step's energy closes
/// (definition); a step that cannot be supplied whole sheds first the unit, then all loads.
/// </summary>
public sealed class EnergySimulation
{
    private const double ThermostatStepS = 120;
    private const double RestS = 180;
    private const double StartLossS = 45;
    private const double LongAgoS = 1e9;

    private readonly EnergyCase _case;
    private readonly IEnergyCabin _cabin;
    private readonly EnergyResult _result;
    private readonly double _dt;
    private double _soc;
    private bool _airLocked, _cutOff, _generatorOn, _compressorOn;
    private double _generatorRunS, _sinceChangeS = LongAgoS;
    private double _pvAvailable, _pvUsed, _curtailed, _controllerLoss, _alternator, _shore, _generator, _chargerLoss, _inverterLoss, _dc, _ac, _aircon, _batteryLoss, _cooling;

    private EnergySimulation(EnergyCase energyCase, IEnergyCabin cabin)
    {
        _case = energyCase;
        _cabin = cabin;
        _dt = energyCase.StepS;
        _soc = energyCase.StartSoc;
        _result = new EnergyResult(energyCase.Steps);
    }

    /// <summary>Runs the case from its start to its end.</summary>
    /// <exception cref="InputException">Arrays of different length, levels out of order, or loads that alone exceed the inverter.</exception>
    public static EnergyResult Run(EnergyCase energyCase, IEnergyCabin cabin)
    {
        Check(energyCase);
        var run = new EnergySimulation(energyCase, cabin);
        for (var step = 0; step < energyCase.Steps; step++)
            run.Advance(step);
        return run.Finish();
    }

    private static void Check(EnergyCase c)
    {
        var errors = new List<InputError>();
        void Length(string name, int? length)
        {
            if (length is { } l && l != c.Steps)
                errors.Add(InputError.Fault(name, $"{l} values", $"{name} has {l} values; outdoorC has {c.Steps}"));
        }
        Length("irradianceWm2", c.IrradianceWm2.Length);
        Length("setpointC", c.SetpointC.Length);
        Length("dcLoadW", c.DcLoadW.Length);
        Length("acLoadW", c.AcLoadW.Length);
        Length("enable", c.Enable?.Length);
        Length("alternatorW", c.AlternatorW?.Length);
        Length("shoreW", c.ShoreW?.Length);
        Length("generatorAllowed", c.GeneratorAllowed?.Length);
        var levels = c.Levels;
        if (!(levels.Cut < levels.AirOff && levels.AirOff < levels.AirOn && levels.Cut < levels.Reconnect))
            errors.Add(InputError.Fault("levels", levels.ToString(), "levels must rise: cut-off, unit off, unit on; cut-off below reconnect"));
        if (errors.Count > 0)
            throw new InputException(errors);
    }

    private readonly record struct Flows(
        bool Holds, double AirconW, double CoolingW, double SensibleShare, RunMode Mode, double SourceW, double ChargerW, double InverterDcW, double InverterAcW,
        double PvDcW, double DirectW, double AlternatorW, double DcLoadW, double AcLoadW, double NetW, bool CompressorOn);

    private void Advance(int k)
    {
        var c = _case;
        var set = c.SetpointC[k] + (c.EcoSoc > 0 && _soc <= c.EcoSoc ? c.EcoRiseK : 0);
        if (_soc >= c.Levels.Reconnect)
            _cutOff = false;
        if (_soc >= c.Levels.AirOn)
            _airLocked = false;
        if (!_airLocked && _soc <= c.Levels.AirOff)
            _airLocked = true;
        var shore = c.ShoreW?[k] ?? 0;
        DecideGenerator(k);
        var sourceLimit = shore > 0 ? shore : _generatorOn ? c.Generator!.AvailableW : 0;
        var enabled = c.Enable?[k] ?? true;

        var cell = c.OutdoorC[k] + c.Modules.Ross * c.IrradianceWm2[k];
        var array = Modules.Power(c.Modules.Count, c.Modules.RatedW, c.IrradianceWm2[k], cell, c.Modules.Gamma, c.Modules.Losses);
        _cabin.Begin(k, _dt);

        var pass = _cutOff && sourceLimit == 0 ? 2 : 0;
        var flows = Try(k, pass, set, enabled, sourceLimit, array);
        while (!flows.Holds && pass < 2)
            flows = Try(k, ++pass, set, enabled, sourceLimit, array);

        if (pass == 2)
        {
            if (!_cutOff)
                _result.CutOffHour ??= k * _dt / 3600;
            _cutOff = true;
        }
        if (enabled && sourceLimit == 0 && (pass > 0 || _airLocked))
            _result.AirOffHour ??= k * _dt / 3600;
        if (pass >= 1 && enabled)
            _airLocked = true;
        Commit(k, flows, array, shore > 0, enabled);
    }

    private void DecideGenerator(int k)
    {
        if (_case.Generator is not { } generator)
            return;
        var allowed = _case.GeneratorAllowed?[k] ?? true;
        if (!_generatorOn && allowed && _soc <= generator.OnSoc)
        {
            _generatorOn = true;
            _generatorRunS = 0;
        }
        else if (_generatorOn && (!allowed || _soc >= generator.OffSoc && _generatorRunS >= generator.MinRunS))
        {
            _generatorOn = false;
        }
    }

    private Flows Try(int k, int pass, double set, bool enabled, double sourceLimit, double arrayW)
    {
        var c = _case;
        var dcLoad = pass == 2 ? 0 : c.DcLoadW[k];
        var acLoad = pass == 2 ? 0 : c.AcLoadW[k];
        var inverter = c.Inverter;
        var inverterOn = pass < 2 && inverter is not null;
        var airAllowed = pass == 0 && enabled && !(_airLocked && sourceLimit == 0);
        var cap = c.PowerCapW;
        if (!c.Unit.IsDc)
        {
            var continuous = inverter?.ContinuousW ?? 0;
            // A PV-assisted unit draws its array's power beside what the source allows.
            var beside = c.Modules.DirectToUnit ? c.Modules.ControllerEfficiency * arrayW : 0;
            cap = Math.Min(cap, beside + (sourceLimit == 0 ? continuous - acLoad : c.Assist ? sourceLimit + continuous - acLoad : sourceLimit - acLoad));
        }
        var (air, sensibleShare, compressorOn) = pass == 2 ? (default, 1, false) : Aircon(k, airAllowed, set, cap);

        var pvDc = Math.Min(c.Modules.ControllerEfficiency * arrayW, c.Modules.ControllerMaxW);
        var direct = 0.0;
        if (c.Modules.DirectToUnit && !c.Unit.IsDc)
        {
            direct = Math.Min(air.PowerW, c.Modules.ControllerEfficiency * arrayW);
            pvDc = 0;
        }
        var airAc = c.Unit.IsDc ? 0 : air.PowerW - direct;
        var airDc = c.Unit.IsDc ? air.PowerW : 0;
        var acTotal = acLoad + airAc;

        double fromSource = 0, charger = 0, inverterAc = acTotal, inverterDc = 0;
        if (sourceLimit > 0)
        {
            fromSource = Math.Min(acTotal, sourceLimit);
            inverterAc = acTotal - fromSource;
            if (inverterAc > 1e-9 && (!c.Assist || inverterAc > (inverter?.ContinuousW ?? 0)))
                return default;
            charger = inverterAc > 1e-9 ? 0 : Math.Min(sourceLimit - fromSource, c.ChargerAcMaxW);
            if (inverterAc > 1e-9)
                inverterDc = inverter!.Model.DcPower(inverterAc);
            else
                inverterAc = 0;
        }
        else if (inverterAc > 1e-9 || inverterOn)
        {
            if (inverter is null || inverterAc > inverter.ContinuousW + 1e-9)
                return default;
            inverterDc = inverterOn ? inverter.Model.DcPower(inverterAc) : 0;
        }

        var alternator = c.AlternatorW?[k] ?? 0;
        var net = pvDc + alternator + c.ChargerEfficiency * charger - dcLoad - airDc - inverterDc;
        var (_, mostIn) = c.Bank.MaxCharge(_soc, _dt);
        if (net > mostIn)
        {
            var excess = net - mostIn;
            var cut = Math.Min(excess, c.ChargerEfficiency * charger);
            charger -= cut / c.ChargerEfficiency;
            excess -= cut;
            cut = Math.Min(excess, alternator);
            alternator -= cut;
            excess -= cut;
            pvDc -= Math.Min(excess, pvDc);
            net = mostIn;
        }
        if (-net > c.Bank.MaxDischarge(_soc, _dt, c.Levels.Cut).PowerW + 1e-9 && net < 0)
            return default;
        return new Flows(true, air.PowerW, air.CapacityW, sensibleShare, air.Mode, fromSource + charger, charger, inverterDc, inverterAc, pvDc, direct, alternator, dcLoad, acLoad, net, compressorOn);
    }

    private (OperatingResult Air, double SensibleShare, bool CompressorOn) Aircon(int k, bool allowed, double set, double cap)
    {
        var unit = _case.Unit;
        if (!allowed)
            return (new OperatingResult(RunMode.Standby, 0, 0, 0, unit.StandbyPowerW), 1, false);
        var share = Performance.SensibleShare(unit.SensibleHeatRatio, _cabin.AirC, _cabin.WetBulbC);
        var full = Performance.FullLoad(unit, _case.OutdoorC[k], _cabin.WetBulbC, _case.InletRiseK);
        if (!unit.SingleSpeed || _dt > ThermostatStepS)
        {
            var demand = Math.Max(0, _cabin.RequiredSensible(set)) / share;
            var result = Performance.Operate(unit, full, demand, cap, _case.FanOn);
            return (result, share, result.RunTimeFraction > 0);
        }
        return (Thermostat(full, set, cap, out var on), share, on);
    }

    private OperatingResult Thermostat(in FullLoadPoint full, double set, double cap, out bool on)
    {
        var half = _case.HysteresisK / 2;
        var air = _cabin.AirC;
        on = _compressorOn;
        if (on && air <= set - half && _sinceChangeS >= RestS)
            on = false;
        else if (!on && air >= set + half && _sinceChangeS >= RestS)
            on = true;
        if (on && full.PowerW > cap)
            on = false;
        if (!on)
            return new OperatingResult(RunMode.Off, 0, 0, 0, _case.FanOn ? _case.Unit.FanPowerW : _case.Unit.StandbyPowerW);
        var t = _compressorOn ? _sinceChangeS : 0;
        var delivered = full.CapacityW * (1 - StartLossS / _dt * (Math.Exp(-t / StartLossS) - Math.Exp(-(t + _dt) / StartLossS)));
        return new OperatingResult(RunMode.Full, 1, 1, delivered, full.PowerW);
    }

    private void Commit(int k, in Flows f, double arrayW, bool fromShore, bool enabled)
    {
        var c = _case;
        var hours = _dt / 3600;
        var net = Math.Abs(f.NetW) < 1e-9 ? 0 : f.NetW;
        var battery = c.Bank.Step(_soc, net, _dt);
        _soc = battery.Soc;
        if (_generatorOn)
        {
            _generatorRunS += _dt;
            _result.GeneratorHours += hours;
            _result.FuelLitres += Generators.FuelLitresPerHour(c.Generator!.Fuel, c.Generator.RatedW, f.SourceW) * hours;
        }
        if (f.CompressorOn != _compressorOn)
        {
            _sinceChangeS = _dt;
            _result.CompressorStarts += f.CompressorOn ? 1 : 0;
        }
        else
        {
            _sinceChangeS += _dt;
        }
        _compressorOn = f.CompressorOn;
        _result.CompressorHours += f.CompressorOn ? hours : 0;
        _cabin.End(f.SensibleShare * f.CoolingW, (1 - f.SensibleShare) * f.CoolingW);

        if (enabled)
        {
            var over = Math.Max(0, _cabin.AirC - (c.SetpointC[k] + c.ToleranceK));
            _result.UnmetKelvinHours += over * hours;
            _result.HeldHours += over == 0 ? hours : 0;
        }
        var used = (f.PvDcW + f.DirectW) / c.Modules.ControllerEfficiency;
        _pvAvailable += arrayW * hours;
        _pvUsed += used * hours;
        _curtailed += (arrayW - used) * hours;
        _controllerLoss += used * (1 - c.Modules.ControllerEfficiency) * hours;
        _alternator += f.AlternatorW * hours;
        if (fromShore)
            _shore += f.SourceW * hours;
        else
            _generator += f.SourceW * hours;
        _chargerLoss += f.ChargerW * (1 - c.ChargerEfficiency) * hours;
        _inverterLoss += (f.InverterDcW - (f.InverterDcW > 0 ? f.InverterAcW : 0)) * hours;
        _dc += f.DcLoadW * hours;
        _ac += f.AcLoadW * hours;
        _aircon += f.AirconW * hours;
        _batteryLoss += battery.LossW * hours;
        _cooling += f.CoolingW * hours;

        _result.Soc[k] = _soc;
        _result.AirC[k] = _cabin.AirC;
        _result.AirconW[k] = f.AirconW;
        _result.CoolingW[k] = f.CoolingW;
        _result.PvW[k] = f.PvDcW + f.DirectW;
        _result.BatteryW[k] = net;
        _result.LoadW[k] = f.DcLoadW + f.AcLoadW;
        _result.SourceW[k] = f.SourceW + f.AlternatorW;
        _result.Mode[k] = f.Mode;
        if (_soc < _result.MinSoc)
        {
            _result.MinSoc = _soc;
            _result.MinSocStep = k;
        }
    }

    private EnergyResult Finish()
    {
        _result.Ledger = new EnergyLedger
        {
            PvAvailableWh = _pvAvailable,
            PvUsedWh = _pvUsed,
            CurtailedWh = _curtailed,
            ControllerLossWh = _controllerLoss,
            AlternatorWh = _alternator,
            ShoreWh = _shore,
            GeneratorWh = _generator,
            ChargerLossWh = _chargerLoss,
            InverterLossWh = _inverterLoss,
            DcLoadWh = _dc,
            AcLoadWh = _ac,
            AirconWh = _aircon,
            BatteryLossWh = _batteryLoss,
            StoredWh = (_case.Bank.StoredJ(_soc) - _case.Bank.StoredJ(_case.StartSoc)) / 3600,
        };
        _result.CoolingWh = _cooling;
        _result.EndSoc = _soc;
        _result.DutyAgainstRated = _aircon / (_case.Unit.RatedPowerW * _case.Steps * _dt / 3600);
        if (Math.Abs(_result.Ledger.ResidualWh) > 1e-6 * Math.Max(1, _result.Ledger.ThroughputWh))
            throw new InvalidOperationException(FormattableString.Invariant($"the energy of the run does not close: {_result.Ledger.ResidualWh} Wh"));
        return _result;
    }
}
