using System.Runtime.CompilerServices;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
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
    private const double FullSoc = 0.97;
    private const double LowDieselLoad = 0.30;
    private const int StepsBetweenLooks = 1024;

    /// <summary>A unit without power stands still as well, and is counted as such.</summary>
    private static readonly OperatingResult Dark = new(RunMode.Standby, 0, 0, 0, 0);

    private readonly EnergyCase _case;
    private readonly IEnergyCabin? _cabin;
    private readonly EnergyResult _result;
    private readonly BankRun _bank;
    private readonly RoomCoil? _coil;
    private readonly double _dt;
    private readonly double _hours;
    private bool _airLocked, _cutOff, _generatorOn, _compressorOn;
    private double _generatorRunS, _sinceChangeS = LongAgoS, _heldKg, _dryingKgS;
    private Flows _now;
    private Totals _sum;

    private EnergySimulation(EnergyCase energyCase, IEnergyCabin? cabin)
    {
        _case = energyCase;
        _cabin = cabin;
        _dt = energyCase.StepS;
        _hours = _dt / 3600;
        _bank = new BankRun(energyCase.Bank, energyCase.StartSoc, _dt);
        _coil = cabin?.Moisture is { } moisture ? new RoomCoil(energyCase.Unit, moisture.PressurePa) : null;
        _result = new EnergyResult(energyCase.Recorded ? energyCase.Steps : 0);
    }

    /// <summary>Runs the case from its start to its end.</summary>
    /// <exception cref="InputException">Arrays of different length, levels out of order, or loads that alone exceed the inverter.</exception>
    public static EnergyResult Run(EnergyCase energyCase, IEnergyCabin cabin) => RunChecked(energyCase, cabin);

    /// <summary>Runs the electrical side alone on the unit's draw as given by the case, W by step.</summary>
    /// <exception cref="InputException">As with a cabin, or no draw given.</exception>
    public static EnergyResult Run(EnergyCase energyCase) =>
        energyCase.AirconW is null
            ? throw new InputException("airconW", "none", "a run without a cabin needs the unit's draw by step")
            : RunChecked(energyCase, null);

    private static EnergyResult RunChecked(EnergyCase energyCase, IEnergyCabin? cabin)
    {
        Check(energyCase);
        var run = new EnergySimulation(energyCase, cabin);
        var steps = 0;
        while (steps < energyCase.Steps && run._result.MinSoc >= energyCase.GiveUpSoc)
        {
            if (steps % StepsBetweenLooks == 0)
                energyCase.Stop.ThrowIfCancellationRequested();
            run.Advance(steps++);
        }
        return run.Finish(steps);
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
        Length("airconW", c.AirconW?.Length);
        Length("lowestOnly", c.LowestOnly?.Length);
        var levels = c.Levels;
        if (!(levels.Cut < levels.AirOff && levels.AirOff < levels.AirOn && levels.Cut < levels.Reconnect))
            errors.Add(InputError.Fault("levels", levels.ToString(), "levels must rise: cut-off, unit off, unit on; cut-off below reconnect"));
        if (errors.Count > 0)
            throw new InputException(errors);
    }

    /// <summary>Watts of all steps added up.</summary>
    private struct Totals
    {
        public double ArrayW, PvDcW, DirectW, AlternatorW, ShoreW, GeneratorW, ChargerW, InverterLossW, DcLoadW, AcLoadW, AirconW, CoolingW, BatteryLossW;
    }

    /// <summary>Watts of one step.</summary>
    private struct Flows
    {
        public double AirconW, SourceW, ChargerW, InverterLossW, PvDcW, DirectW, AlternatorW, DcLoadW, AcLoadW, NetW;
        public OperatingResult Air;
        public double SensibleShare, WetKgS, CoilRatio;
        public bool CompressorOn;
    }

    private void Advance(int k)
    {
        var c = _case;
        var soc = _bank.Soc;
        var set = c.SetpointC[k] + (c.EcoSoc > 0 && soc <= c.EcoSoc ? c.EcoRiseK : 0);
        if (c.PreCoolK > 0 && soc >= FullSoc && c.IrradianceWm2[k] > 0)
            set -= c.PreCoolK;
        if (soc >= c.Levels.Reconnect)
            _cutOff = false;
        if (soc >= c.Levels.AirOn)
            _airLocked = false;
        if (!_airLocked && soc <= c.Levels.AirOff)
            _airLocked = true;
        var shore = c.ShoreW is null ? 0 : c.ShoreW[k];
        DecideGenerator(k);
        var sourceLimit = shore > 0 ? shore : _generatorOn ? c.Generator!.AvailableW : 0;
        var enabled = c.Enable is null || c.Enable[k];

        var irradiance = c.IrradianceWm2[k];
        var array = irradiance <= 0 ? 0 : Modules.Power(c.Modules.Count, c.Modules.RatedW, irradiance, c.OutdoorC[k] + c.Modules.Ross * irradiance,
            c.Modules.Gamma, c.Modules.Losses);
        _cabin?.Begin(k, _dt);

        var pass = _cutOff && sourceLimit == 0 ? 2 : 0;
        while (!TryPass(k, pass, set, enabled, sourceLimit, array))
            pass++;

        if (pass == 2)
        {
            if (!_cutOff)
                _result.CutOffHour ??= k * _hours;
            _cutOff = true;
        }
        if (enabled && sourceLimit == 0 && (pass > 0 || _airLocked))
            _result.AirOffHour ??= k * _hours;
        if (pass >= 1 && enabled)
            _airLocked = true;
        Commit(k, array, shore > 0, enabled);
    }

    private void DecideGenerator(int k)
    {
        if (_case.Generator is not { } generator)
            return;
        var allowed = _case.GeneratorAllowed?[k] ?? true;
        if (!_generatorOn && allowed && _bank.Soc <= generator.OnSoc)
        {
            _generatorOn = true;
            _generatorRunS = 0;
        }
        else if (_generatorOn && (!allowed || _bank.Soc >= generator.OffSoc && _generatorRunS >= generator.MinRunS))
        {
            _generatorOn = false;
        }
    }

    /// <summary>
    /// One pass of a step: 0 all on, 1 without the unit, 2 without any load. False when the sources do not carry it; the last pass always holds.
    /// </summary>
    private bool TryPass(int k, int pass, double set, bool enabled, double sourceLimit, double arrayW)
    {
        var c = _case;
        ref var now = ref _now;
        now.DcLoadW = pass == 2 ? 0 : c.DcLoadW[k];
        now.AcLoadW = pass == 2 ? 0 : c.AcLoadW[k];
        var inverter = c.Inverter;
        var continuous = inverter?.ContinuousW ?? 0;
        var isDc = c.Unit.IsDc;
        var cap = c.PowerCapW;
        if (!isDc)
        {
            // A PV-assisted unit draws its array's power beside what the source allows.
            var beside = c.Modules.DirectToUnit ? c.Modules.ControllerEfficiency * arrayW : 0;
            cap = Math.Min(cap,
                beside + (sourceLimit == 0 ? continuous - now.AcLoadW : c.Assist ? sourceLimit + continuous - now.AcLoadW : sourceLimit - now.AcLoadW));
        }
        if (pass == 2)
            (now.Air, now.SensibleShare, now.WetKgS, now.CompressorOn) = (Dark, 1, 0, false);
        else
            Aircon(k, pass == 0 && enabled && !(_airLocked && sourceLimit == 0), set, cap);
        now.AirconW = now.Air.PowerW;

        now.PvDcW = Math.Min(c.Modules.ControllerEfficiency * arrayW, c.Modules.ControllerMaxW);
        now.DirectW = 0;
        if (c.Modules.DirectToUnit && !isDc)
        {
            now.DirectW = Math.Min(now.AirconW, c.Modules.ControllerEfficiency * arrayW);
            now.PvDcW = 0;
        }
        var acTotal = now.AcLoadW + (isDc ? 0 : now.AirconW - now.DirectW);

        now.SourceW = now.ChargerW = now.InverterLossW = 0;
        var inverterDc = 0.0;
        if (sourceLimit > 0)
        {
            now.SourceW = Math.Min(acTotal, sourceLimit);
            var rest = acTotal - now.SourceW;
            if (rest > 1e-9)
            {
                if (!c.Assist || rest > continuous)
                    return pass == 2 && Empty();
                inverterDc = inverter!.Model.DcPower(rest);
                now.InverterLossW = inverterDc - rest;
            }
            else
            {
                now.ChargerW = Math.Min(sourceLimit - now.SourceW, c.ChargerAcMaxW);
            }
        }
        else if (acTotal > 1e-9 || pass < 2 && inverter is not null)
        {
            if (inverter is null || acTotal > continuous + 1e-9)
                return pass == 2 && Empty();
            if (pass < 2)
            {
                inverterDc = inverter.Model.DcPower(acTotal);
                now.InverterLossW = inverterDc - acTotal;
            }
        }

        now.AlternatorW = c.AlternatorW is null ? 0 : c.AlternatorW[k];
        var net = now.PvDcW + now.AlternatorW + c.ChargerEfficiency * now.ChargerW - now.DcLoadW - (isDc ? now.AirconW : 0) - inverterDc;
        if (net > 0)
        {
            var mostIn = _bank.Acceptable(net);
            if (net > mostIn)
            {
                LeaveOut(net - mostIn);
                net = mostIn;
            }
        }
        now.NetW = Math.Abs(net) < 1e-9 ? 0 : net;
        if (_bank.TryStep(now.NetW, c.Levels.Cut, out var loss))
        {
            _sum.BatteryLossW += loss;
            return true;
        }
        return pass == 2 && Empty();
    }

    /// <summary>Nothing flows but what the sun would give, which is left out.</summary>
    private bool Empty()
    {
        _now = new Flows { SensibleShare = 1, Air = Dark };
        return true;
    }

    /// <summary>What the bank does not take is left out: the charger first, the alternator next, the sun last.</summary>
    private void LeaveOut(double excess)
    {
        ref var now = ref _now;
        var cut = Math.Min(excess, _case.ChargerEfficiency * now.ChargerW);
        now.ChargerW -= cut / _case.ChargerEfficiency;
        excess -= cut;
        cut = Math.Min(excess, now.AlternatorW);
        now.AlternatorW -= cut;
        excess -= cut;
        now.PvDcW -= Math.Min(excess, now.PvDcW);
    }

    private void Aircon(int k, bool allowed, double set, double cap)
    {
        var unit = _case.Unit;
        ref var now = ref _now;
        now.SensibleShare = 1;
        now.WetKgS = 0;
        now.CompressorOn = false;
        if (!allowed)
        {
            now.Air = new OperatingResult(RunMode.Standby, 0, 0, 0, unit.StandbyPowerW);
            return;
        }
        if (_cabin is not null)
        {
            AirconOf(_cabin, k, set, cap);
            return;
        }
        var draw = _case.AirconW![k];
        var carried = draw <= cap + 1e-9;
        now.Air = new OperatingResult(carried ? RunMode.Modulating : RunMode.Blocked, 0, 0, 0, carried ? draw : unit.StandbyPowerW);
        if (!carried)
            _result.AirOffHour ??= k * _hours;
    }

    // Kept apart so that a run without a cabin does not pay for its room on the stack.
    [MethodImpl(MethodImplOptions.NoInlining)]
    private void AirconOf(IEnergyCabin cabin, int k, double set, double cap)
    {
        var unit = _case.Unit;
        ref var now = ref _now;
        var moisture = cabin.Moisture;
        var wetBulb = moisture is null ? cabin.WetBulbC : Math.Max(Performance.LowestWetBulbC, _coil!.WetBulb(cabin.AirC, moisture.Ratio));
        var full = Performance.FullLoad(unit, _case.OutdoorC[k], wetBulb, _case.InletRiseK).Times(_case.CapacityFactor);
        if (_coil is null)
            now.SensibleShare = Performance.SensibleShare(unit.SensibleHeatRatio, cabin.AirC, cabin.WetBulbC);
        _coil?.Enter(cabin.AirC, moisture!.Ratio, full.CapacityW);
        if (!unit.SingleSpeed || _dt > ThermostatStepS)
        {
            var sensible = Math.Max(0, cabin.RequiredSensible(set));
            var demand = sensible == 0 ? 0 : _coil?.ForSensible(sensible, _case.FanOn) ?? sensible / now.SensibleShare;
            if (!unit.SingleSpeed && _case.LowestOnly is { } lowest && lowest[k])
                demand = Math.Min(demand, unit.MinCapacityW * full.CapacityFactor);
            now.Air = Performance.Operate(unit, full, demand, cap, _case.FanOn);
            now.CompressorOn = now.Air.RunTimeFraction > 0;
        }
        else
        {
            now.Air = Thermostat(full, set, cap, out now.CompressorOn);
        }
        if (_coil is { } coil && now.Air.CapacityW > 0)
        {
            // Followed by its thermostat, a coil gives back in the steps of its pauses.
            (now.SensibleShare, now.WetKgS, now.CoilRatio) =
                coil.Mean(now.Air.CapacityW, _dt > ThermostatStepS ? now.Air.RunTimeFraction : 1, _case.FanOn);
        }
    }

    private OperatingResult Thermostat(in FullLoadPoint full, double set, double cap, out bool on)
    {
        var half = _case.HysteresisK / 2;
        var air = _cabin!.AirC;
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

    private void Commit(int k, double arrayW, bool fromShore, bool enabled)
    {
        var c = _case;
        ref var f = ref _now;
        ref var sum = ref _sum;
        if (_generatorOn)
        {
            _generatorRunS += _dt;
            _result.GeneratorHours += _hours;
            _result.FuelLitres += Generators.FuelLitresPerHour(c.Generator!.Fuel, c.Generator.RatedW, f.SourceW + f.ChargerW) * _hours;
            if (c.Generator.Fuel == FuelKind.Diesel && f.SourceW + f.ChargerW < LowDieselLoad * c.Generator.RatedW)
                _result.GeneratorLowLoadHours += _hours;
        }
        _sinceChangeS = f.CompressorOn == _compressorOn ? _sinceChangeS + _dt : _dt;
        if (f.CompressorOn)
        {
            _result.CompressorStarts += _compressorOn ? 0 : 1;
            _result.CompressorHours += _hours;
        }
        _compressorOn = f.CompressorOn;
        if (_cabin is not null)
        {
            EndCabin(_cabin, ref f);
            if (enabled)
            {
                var over = Math.Max(0, _cabin.AirC - (c.SetpointC[k] + c.ToleranceK));
                _result.UnmetKelvinHours += over * _hours;
                _result.HeldHours += over == 0 ? _hours : 0;
            }
        }
        sum.ArrayW += arrayW;
        sum.PvDcW += f.PvDcW;
        sum.DirectW += f.DirectW;
        sum.AlternatorW += f.AlternatorW;
        if (fromShore)
            sum.ShoreW += f.SourceW + f.ChargerW;
        else
            sum.GeneratorW += f.SourceW + f.ChargerW;
        sum.ChargerW += f.ChargerW;
        sum.InverterLossW += f.InverterLossW;
        sum.DcLoadW += f.DcLoadW;
        sum.AcLoadW += f.AcLoadW;
        sum.AirconW += f.AirconW;
        sum.CoolingW += f.Air.CapacityW;
        if (c.Recorded)
            Record(k, f, arrayW);
        if (_bank.Soc < _result.MinSoc)
        {
            _result.MinSoc = _bank.Soc;
            _result.MinSocStep = k;
        }
    }

    /// <summary>The cabin takes its cooling; where its moisture is followed, the coil dries as much as the air at the end of the step gives.</summary>
    private void EndCabin(IEnergyCabin cabin, ref Flows f)
    {
        var sensible = f.SensibleShare * f.Air.CapacityW;
        if (cabin.Moisture is not { } moisture)
        {
            cabin.End(sensible);
            return;
        }
        var returned = GivenBack(f);
        cabin.End(sensible + returned * MoistAir.VaporisationJPerKg);
        var latent = moisture.End(_dt, cabin.AirC, f.WetKgS, f.CoilRatio, returned);
        if (f.CompressorOn && f.WetKgS > 0)
        {
            _dryingKgS = latent / MoistAir.VaporisationJPerKg;
            _heldKg = Math.Min(_heldKg + _dryingKgS * _dt, _coil!.HeldMin(_case.FanOn) * 60 * _dryingKgS);
        }
        f.Air = f.Air with { CapacityW = sensible + latent };
    }

    /// <summary>Water that the standing coil of a thermostat's unit gives back to the air, kg/s; what it takes up cools the air as much.</summary>
    private double GivenBack(in Flows f)
    {
        if (f.CompressorOn || _heldKg <= 0 || _dt > ThermostatStepS)
            return 0;
        var back = Math.Min(_heldKg, _dryingKgS * _dt);
        _heldKg -= back;
        return back / _dt;
    }

    private void Record(int k, in Flows f, double arrayW)
    {
        _result.Soc[k] = _bank.Soc;
        _result.AirC[k] = _cabin?.AirC ?? 0;
        _result.Ratio[k] = _cabin?.Moisture?.Ratio ?? 0;
        _result.AirconW[k] = f.AirconW;
        _result.CoolingW[k] = f.Air.CapacityW;
        _result.PvW[k] = f.PvDcW + f.DirectW;
        _result.ArrayW[k] = arrayW;
        _result.BatteryW[k] = f.NetW;
        _result.LoadW[k] = f.DcLoadW + f.AcLoadW;
        _result.SourceW[k] = f.SourceW + f.ChargerW + f.AlternatorW;
        _result.Mode[k] = f.Air.Mode;
    }

    private EnergyResult Finish(int steps)
    {
        var efficiency = _case.Modules.ControllerEfficiency;
        var used = (_sum.PvDcW + _sum.DirectW) / efficiency;
        _result.Ledger = new EnergyLedger
        {
            PvAvailableWh = _sum.ArrayW * _hours,
            PvUsedWh = used * _hours,
            CurtailedWh = (_sum.ArrayW - used) * _hours,
            ControllerLossWh = used * (1 - efficiency) * _hours,
            AlternatorWh = _sum.AlternatorW * _hours,
            ShoreWh = _sum.ShoreW * _hours,
            GeneratorWh = _sum.GeneratorW * _hours,
            ChargerLossWh = _sum.ChargerW * (1 - _case.ChargerEfficiency) * _hours,
            InverterLossWh = _sum.InverterLossW * _hours,
            DcLoadWh = _sum.DcLoadW * _hours,
            AcLoadWh = _sum.AcLoadW * _hours,
            AirconWh = _sum.AirconW * _hours,
            BatteryLossWh = _sum.BatteryLossW * _hours,
            StoredWh = (_case.Bank.StoredJ(_bank.Soc) - _case.Bank.StoredJ(_case.StartSoc)) / 3600,
        };
        _result.Steps = steps;
        _result.Water = _cabin?.Moisture?.Ledger;
        _result.CoolingWh = _sum.CoolingW * _hours;
        _result.EndSoc = _bank.Soc;
        _result.DutyAgainstRated = _sum.AirconW / (_case.Unit.RatedPowerW * Math.Max(1, steps));
        return _result;
    }
}
