using Vanto.Core.Physics;

namespace Vanto.Core.Instruments;

/// <summary>A running unit with its room, bank and inverter; every fault is a number in it.</summary>
public sealed record UnitScene
{
    public RefrigerantKind Refrigerant { get; init; } = RefrigerantKind.R32;

    /// <summary>Share of the right charge.</summary>
    public double Charge { get; init; } = 1;

    /// <summary>Air in the circuit, Pa at 20 °C.</summary>
    public double AirInCircuitPa { get; init; }

    /// <summary>Share of the outdoor coil that air passes.</summary>
    public double OutdoorCoil { get; init; } = 1;

    /// <summary>Share of the head's air that its filter lets through.</summary>
    public double HeadAir { get; init; } = 1;

    public bool ValveClosed { get; init; }

    public double OutdoorC { get; init; } = 35;
    public double OutdoorRhPct { get; init; } = 40;
    public double CabinC { get; init; } = 33;
    public double CabinRhPct { get; init; } = 45;
    public double SetC { get; init; } = 24;

    public double StartCharge { get; init; } = 0.95;
    public double BankAh { get; init; } = 400;
    public double BankOhm { get; init; } = 0.004;
}

/// <summary>What a unit says of itself.</summary>
public enum UnitState { Waiting, Running, Resting, Tripped, LockedOut, NoPower }

/// <summary>
/// A wall split that runs in a room, second by second, from a bank through an inverter: coil by its rating, both pressures by what the coils reach,
/// watts by a share of the Carnot efficiency. A model of this product's own for demonstration, training and tests; it is no unit that can be bought.
/// </summary>
public sealed class SimulatedUnit
{
    private const double RatedW = 2640, SensibleShare = 0.75, AirM3s = 0.139, InputW = 800, FansW = 65, HeadFanW = 25;
    private const double EvaporatorK = 6, CondenserK = 12, LeastSpeed = 0.3, DelayS = 180, RampS = 60;
    private const double RoomWK = 45, RoomJK = 250_000, RoomM3 = 14, SunW = 600, PeopleW = 150, MoistureKgS = 2e-5, AirInKgS = 0.003;
    private const double Efficiency = 0.90, IdleW = 25, CutOutV = 11.6, NominalV = 120, Droop = 0.03, DroopW = 2000, LineOhm = 0.10, PowerFactor = 0.95;
    private const double CarnotShare = 0.5379627, StartShare = 735;
    private const double HottestC = 65, LowestSuctionPa = 30_000, ClosedSuctionPa = 20_000, LowForS = 60, MostTrips = 3;
    private const double ClosedShare = 0.45, ClosedK = 3;
    private const double RunLagS = 20, RestLagS = 60, ClosedLagS = 15, SeaLevelPa = 101325;

    /// <summary>Open-circuit voltage of a lithium iron phosphate cell by its charge; a usual curve, from memory.</summary>
    private static readonly (double Charge, double V)[] Cell =
        [(0, 2.80), (0.05, 3.10), (0.1, 3.20), (0.2, 3.25), (0.5, 3.30), (0.8, 3.33), (0.95, 3.35), (1, 3.40)];

    private const int CellsInSeries = 4;

    private readonly UnitScene _s;
    private readonly RatedCoil _coil = new(RatedW, SensibleShare, AirM3s);
    private readonly double _outdoorRatio;
    private double _ratio, _speed, _blockedUntil = DelayS, _lowSince = -1;

    public SimulatedUnit(UnitScene scene)
    {
        _s = scene;
        CabinC = SupplyC = scene.CabinC;
        _ratio = MoistAir.RatioFromRh(scene.CabinC, scene.CabinRhPct, SeaLevelPa);
        _outdoorRatio = MoistAir.RatioFromRh(scene.OutdoorC, scene.OutdoorRhPct, SeaLevelPa);
        SupplyRatio = _ratio;
        SuctionPa = DischargePa = Pressure(true, scene.OutdoorC);
        Charge = scene.StartCharge;
        BankV = OpenV;
        AcV = NominalV;
    }

    public double Seconds { get; private set; }
    public double CabinC { get; private set; }
    public double SupplyC { get; private set; }
    private double SupplyRatio { get; set; }

    /// <summary>Absolute.</summary>
    public double SuctionPa { get; private set; }

    /// <summary>Absolute.</summary>
    public double DischargePa { get; private set; }

    public double AcW { get; private set; }
    public double AcV { get; private set; }
    public double AcA { get; private set; }
    public double BankV { get; private set; }
    public double BankA { get; private set; }
    public double Charge { get; private set; }
    public double WaterKgS { get; private set; }
    public int Trips { get; private set; }
    public bool NoPower { get; private set; }

    public double CabinRhPct => Math.Min(100, MoistAir.RelativeHumidity(CabinC, _ratio, SeaLevelPa));
    public double SupplyRhPct => Math.Min(100, MoistAir.RelativeHumidity(SupplyC, SupplyRatio, SeaLevelPa));

    /// <summary>What its display says.</summary>
    public UnitState State => NoPower ? UnitState.NoPower : Trips >= MostTrips ? UnitState.LockedOut : _speed > 0 ? UnitState.Running
        : Trips > 0 && Seconds < _blockedUntil ? UnitState.Tripped : Seconds < _blockedUntil ? UnitState.Waiting : UnitState.Resting;

    private double OpenV
    {
        get
        {
            var i = Math.Max(1, Array.FindIndex(Cell, c => c.Charge >= Math.Clamp(Charge, 0, 1)));
            var (a, b) = (Cell[i - 1], Cell[i]);
            return CellsInSeries * (a.V + (b.V - a.V) * (Math.Clamp(Charge, 0, 1) - a.Charge) / (b.Charge - a.Charge));
        }
    }

    private double Pressure(bool dew, double celsius) => Refrigerants.SaturationPressure(_s.Refrigerant, dew, celsius + 273.15);

    private double AirPa(double celsius) => _s.AirInCircuitPa * (celsius + 273.15) / 293.15;

    /// <summary>Goes on by a second.</summary>
    public void Step()
    {
        Demand();
        var (coil, watts, hotC, coldC) = Cool();
        Pressures(hotC, coldC);
        Power(watts);
        Room(coil);
        Seconds++;
    }

    private void Demand()
    {
        var over = CabinC - _s.SetC;
        var free = !NoPower && Trips < MostTrips && Seconds >= _blockedUntil;
        var wanted = !free ? 0 : over > 1.5 ? 1 : over < -0.5 ? 0 : LeastSpeed + (1 - LeastSpeed) * (over + 0.5) / 2;
        _speed = wanted == 0 ? 0 : _speed == 0 ? LeastSpeed : Math.Abs(wanted - _speed) <= 1 / RampS ? wanted : _speed + Math.Sign(wanted - _speed) / RampS;
    }

    private (CoilRun Coil, double Watts, double HotC, double ColdC) Cool()
    {
        var none = new CoilRun(0, 0, CabinC, _ratio, 0, CabinC);
        if (_speed <= 0)
            return (none, 0, _s.OutdoorC, CabinC);
        if (_s.ValveClosed)
            return (none, ClosedShare * StartShare * _speed, _s.OutdoorC + ClosedK, CabinC);
        var x = _s.Charge;
        var left = x >= 0.9 ? 1 : Math.Max(0.05, 1 - 1.6 * (0.9 - x));
        var ratio = Math.Min(_ratio, MoistAir.SaturationRatio(CabinC, SeaLevelPa));
        var coil = _coil.Run(CabinC, ratio, AirM3s * _s.HeadAir, _s.OutdoorC, _speed * left * Math.Pow(_s.HeadAir, 0.25));
        var coldC = coil.SurfaceC - EvaporatorK * coil.TotalW / RatedW - 40 * Math.Max(0, 0.9 - x);
        var (watts, hotC) = (StartShare * _speed, 0.0);
        const double rejected = RatedW + InputW - FansW;
        for (var i = 0; i < 20; i++)
        {
            hotC = _s.OutdoorC + CondenserK * (coil.TotalW + watts) / rejected / _s.OutdoorCoil + 30 * Math.Max(0, x - 1.1) + 4 * _s.AirInCircuitPa / 1e5;
            watts = coil.TotalW * (hotC - coldC) / (CarnotShare * (coldC + 273.15));
        }
        return (coil, watts, hotC, coldC);
    }

    private void Pressures(double hotC, double coldC)
    {
        var rest = Pressure(true, _s.OutdoorC) + AirPa(_s.OutdoorC);
        var (suction, discharge, lag) = _speed <= 0 ? (rest, rest, RestLagS)
            : _s.ValveClosed ? (ClosedSuctionPa, Pressure(false, _s.OutdoorC + ClosedK), ClosedLagS)
            : (Pressure(true, coldC), Pressure(false, hotC) + AirPa(hotC), RunLagS);
        var follow = 1 - Math.Exp(-1 / lag);
        SuctionPa += (suction - SuctionPa) * follow;
        DischargePa += (discharge - DischargePa) * follow;
        _lowSince = _speed > 0 && SuctionPa < LowestSuctionPa ? _lowSince < 0 ? Seconds : _lowSince : -1;
        if (_speed > 0 && (hotC > HottestC || _lowSince >= 0 && Seconds - _lowSince >= LowForS))
        {
            (_speed, _lowSince) = (0, -1);
            Trips++;
            _blockedUntil = Seconds + DelayS;
        }
    }

    private void Power(double compressorW)
    {
        AcW = NoPower ? 0 : _speed > 0 ? compressorW + FansW : HeadFanW;
        AcV = NominalV;
        for (var i = 0; i < 20; i++)
        {
            AcA = AcW / (AcV * PowerFactor);
            AcV = NominalV * (1 - Droop * AcW / DroopW) - AcA * LineOhm;
        }
        var watts = NoPower ? 0 : AcW / Efficiency + IdleW;
        var root = OpenV * OpenV - 4 * _s.BankOhm * watts;
        BankA = root < 0 ? 0 : (OpenV - Math.Sqrt(root)) / (2 * _s.BankOhm);
        BankV = OpenV - BankA * _s.BankOhm;
        if (root < 0 || BankV < CutOutV)
        {
            NoPower = true;
            (_speed, AcW, AcA, AcV, BankA, BankV) = (0, 0, 0, 0, 0, OpenV);
        }
        Charge -= BankA / (3600 * _s.BankAh);
    }

    private void Room(CoilRun coil)
    {
        var cooled = _speed > 0 ? coil.SensibleW : 0;
        WaterKgS = _speed > 0 ? coil.WaterKgS : 0;
        (SupplyC, SupplyRatio) = _speed > 0 ? (coil.LeavesC, coil.LeavesRatio) : (CabinC, _ratio);
        var density = SeaLevelPa / (287.042 * (CabinC + 273.15));
        CabinC += (RoomWK * (_s.OutdoorC - CabinC) + SunW + PeopleW - cooled) / RoomJK;
        _ratio += (MoistureKgS + AirInKgS * (_outdoorRatio - _ratio) - WaterKgS) / (density * RoomM3);
    }

    /// <summary>Current of a start that is switched straight to the line, s seconds after it.</summary>
    /// <param name="lockedA">Locked rotor.</param>
    /// <param name="runA">Running.</param>
    public static double StartA(double lockedA, double runA, double s) => runA + (lockedA - runA) * Math.Exp(-s / 0.12);
}
