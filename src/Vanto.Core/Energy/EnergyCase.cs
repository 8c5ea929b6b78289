using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>A cabin as the energy run sees it; state at the start of the step.</summary>
public interface IEnergyCabin
{
    /// <summary>Air, °C.</summary>
    double AirC { get; }

    /// <summary>Wet bulb where it is held, °C.</summary>
    double WetBulbC { get; }

    /// <summary>Moisture of the air where it is followed; null where the wet bulb is held.</summary>
    RoomMoisture? Moisture { get; }

    /// <summary>Fixes what drives the step.</summary>
    void Begin(int step, double seconds);

    /// <summary>Sensible cooling in W that brings the air to a temperature at the end of the step; negative where it is colder anyway.</summary>
    double RequiredSensible(double targetC);

    /// <summary>Commits the dry cooling of the step, W.</summary>
    void End(double sensibleW);
}

/// <summary>Inverter of the run.</summary>
public sealed record EnergyInverter(InverterModel Model, double ContinuousW);

/// <summary>Modules of the run. Losses beside heat as one factor.</summary>
public sealed record EnergyModules(int Count, double RatedW, double Losses = Modules.TypicalLosses, double Ross = 0.0342, double Gamma = -0.0034,
    double ControllerEfficiency = 0.97, double ControllerMaxW = double.PositiveInfinity, bool DirectToUnit = false);

/// <summary>Generator of the run with its starting rule by state of charge.</summary>
public sealed record EnergyGenerator(double RatedW, double AvailableW, FuelKind Fuel, double OnSoc = 0.60, double OffSoc = 0.90, double MinRunS = 1800);

/// <summary>States of charge at which loads are dropped and taken back.</summary>
public sealed record BatteryLevels(double AirOff = 0.10, double AirOn = 0.20, double Cut = 0.05, double Reconnect = 0.15)
{
    /// <summary>Levels for lead banks.</summary>
    public static readonly BatteryLevels Lead = new(0.45, 0.60, 0.40, 0.55);
}

/// <summary>One run: arrays are by step, values at the middle of the step. Watts, °C, W/m².</summary>
public sealed record EnergyCase
{
    public required AcUnit Unit { get; init; }
    public required BatteryBank Bank { get; init; }
    public required double StepS { get; init; }
    public required double[] OutdoorC { get; init; }
    public required double[] IrradianceWm2 { get; init; }
    public required double[] SetpointC { get; init; }
    public required double[] DcLoadW { get; init; }
    public required double[] AcLoadW { get; init; }
    public bool[]? Enable { get; init; }
    public double[]? AlternatorW { get; init; }
    public double[]? ShoreW { get; init; }
    public bool[]? GeneratorAllowed { get; init; }
    public EnergyInverter? Inverter { get; init; }
    public EnergyModules Modules { get; init; } = new(0, 400);
    public EnergyGenerator? Generator { get; init; }
    public double ChargerAcMaxW { get; init; }
    public double ChargerEfficiency { get; init; } = 0.90;
    public bool Assist { get; init; }
    public double StartSoc { get; init; } = 1;
    public BatteryLevels Levels { get; init; } = new();
    public double EcoSoc { get; init; }
    public double EcoRiseK { get; init; }
    public double PowerCapW { get; init; } = double.PositiveInfinity;

    /// <summary>Steps in which a modulating unit gives no more than its lowest steady cooling.</summary>
    public bool[]? LowestOnly { get; init; }

    /// <summary>So much cooler while the bank is full and the sun shines, K.</summary>
    public double PreCoolK { get; init; }
    public bool FanOn { get; init; } = true;
    public double InletRiseK { get; init; }
    public double ToleranceK { get; init; } = 0.5;
    public double HysteresisK { get; init; } = 1.0;

    /// <summary>The unit's draw by step, W, where the run has no cabin.</summary>
    public double[]? AirconW { get; init; }

    /// <summary>Share of its rated curve that the unit gives: height and a dirty filter.</summary>
    public double CapacityFactor { get; init; } = 1;

    /// <summary>False keeps the totals only, for runs by the thousand.</summary>
    public bool Recorded { get; init; } = true;

    /// <summary>The run ends once the bank is below this charge.</summary>
    public double GiveUpSoc { get; init; } = double.NegativeInfinity;

    /// <summary>Cancels the run.</summary>
    public CancellationToken Stop { get; init; }

    /// <summary>Number of steps.</summary>
    public int Steps => OutdoorC.Length;

    /// <summary>Some of its steps, as often as asked.</summary>
    /// <param name="from">First step.</param>
    /// <param name="count">Steps taken.</param>
    /// <param name="times">How often they follow one another.</param>
    public EnergyCase Cut(int from, int count, int times = 1)
    {
        T[] Of<T>(T[] series) => [.. Enumerable.Repeat(series.AsSpan(from, count).ToArray(), times).SelectMany(part => part)];
        T[]? Where<T>(T[]? series) => series is null ? null : Of(series);
        return this with
        {
            OutdoorC = Of(OutdoorC),
            IrradianceWm2 = Of(IrradianceWm2),
            SetpointC = Of(SetpointC),
            DcLoadW = Of(DcLoadW),
            AcLoadW = Of(AcLoadW),
            Enable = Where(Enable),
            AlternatorW = Where(AlternatorW),
            ShoreW = Where(ShoreW),
            GeneratorAllowed = Where(GeneratorAllowed),
            LowestOnly = Where(LowestOnly),
            AirconW = Where(AirconW),
        };
    }
}

/// <summary>Where every watt-hour went.</summary>
public sealed record EnergyLedger
{
    private const double Tolerance = 1e-6;


    public double PvAvailableWh { get; init; }
    public double PvUsedWh { get; init; }
    public double CurtailedWh { get; init; }
    public double ControllerLossWh { get; init; }
    public double AlternatorWh { get; init; }
    public double ShoreWh { get; init; }
    public double GeneratorWh { get; init; }
    public double ChargerLossWh { get; init; }
    public double InverterLossWh { get; init; }
    public double DcLoadWh { get; init; }
    public double AcLoadWh { get; init; }
    public double AirconWh { get; init; }
    public double BatteryLossWh { get; init; }
    public double StoredWh { get; init; }

    /// <summary>What does not close, Wh; rounding only.</summary>
    public double ResidualWh => PvUsedWh - ControllerLossWh + AlternatorWh + ShoreWh + GeneratorWh - ChargerLossWh - InverterLossWh - DcLoadWh - AcLoadWh
        - AirconWh - BatteryLossWh - StoredWh;

    /// <summary>True where the run's energy closes to rounding; a run that does not is told as such, not hidden.</summary>
    public bool Closes => Math.Abs(ResidualWh) <= Tolerance * Math.Max(1, ThroughputWh);

    /// <summary>All that moved, Wh.</summary>
    public double ThroughputWh => PvUsedWh + AlternatorWh + ShoreWh + GeneratorWh + DcLoadWh + AcLoadWh + AirconWh + Math.Abs(StoredWh);
}

/// <summary>Result of a run; series are by step, at the end of the step.</summary>
public sealed class EnergyResult(int steps)
{
    public double[] Soc { get; } = new double[steps];
    public double[] AirC { get; } = new double[steps];
    public double[] AirconW { get; } = new double[steps];

    /// <summary>Humidity ratio of the cabin's air, kg/kg; 0 where its wet bulb is held.</summary>
    public double[] Ratio { get; } = new double[steps];
    public double[] CoolingW { get; } = new double[steps];
    public double[] PvW { get; } = new double[steps];

    /// <summary>What the array would give, taken or not, W.</summary>
    public double[] ArrayW { get; } = new double[steps];
    public double[] BatteryW { get; } = new double[steps];
    public double[] LoadW { get; } = new double[steps];
    public double[] SourceW { get; } = new double[steps];
    public RunMode[] Mode { get; } = new RunMode[steps];

    /// <summary>Steps that were run; fewer than asked where the run was given up.</summary>
    public int Steps { get; internal set; }
    public EnergyLedger Ledger { get; internal set; } = new();

    /// <summary>Where the water of the cabin's air went; null where its wet bulb is held.</summary>
    public WaterLedger? Water { get; internal set; }
    public double CoolingWh { get; internal set; }
    public double MinSoc { get; internal set; } = 1;
    public int MinSocStep { get; internal set; }
    public double EndSoc { get; internal set; }
    public double HeldHours { get; internal set; }
    public double UnmetKelvinHours { get; internal set; }
    public double? AirOffHour { get; internal set; }
    public double? CutOffHour { get; internal set; }
    public double GeneratorHours { get; internal set; }
    public double FuelLitres { get; internal set; }

    /// <summary>Hours that a diesel generator runs below 30 % of its rating.</summary>
    public double GeneratorLowLoadHours { get; internal set; }
    public int CompressorStarts { get; internal set; }
    public double CompressorHours { get; internal set; }
    public double DutyAgainstRated { get; internal set; }
}
