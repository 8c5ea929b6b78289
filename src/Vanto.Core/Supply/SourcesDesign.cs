using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>Sources on board.</summary>
public sealed record SourcesDesign : DesignPart
{
    public BatteryDesign Battery { get; init; } = new();
    public InverterDesign Inverter { get; init; } = new();
    public GeneratorDesign Generator { get; init; } = new();
    public ShoreDesign Shore { get; init; } = new();
    public ModulesDesign Modules { get; init; } = new();
    public ControllerDesign Controller { get; init; } = new();
    public RoofDesign OnRoof { get; init; } = new();
    public AlternatorDesign Alternator { get; init; } = new();
}

/// <summary>What a bank is built of.</summary>
public enum BankUnit { [Called("ready blocks")] Blocks, [Called("single cells")] Cells }

/// <summary>The battery bank: equal blocks or cells, strings side by side.</summary>
public sealed record BatteryDesign : DesignPart
{
    [Ask("Battery bank on board")] public bool Fitted { get; init; } = true;
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Ask("Built of")] public BankUnit BuiltOf { get; init; } = BankUnit.Blocks;
    [Field(QuantityKind.Voltage, 12, 96, Label = "Nominal voltage of one block", Help = "12, 24, 36, 48 …")] public double NominalV { get; init; } = 12;
    [Field(QuantityKind.Count, 1, 48, Label = "In series",
        Help = "blocks, or cells: 4, 8 or 16 lithium cells, 6, 12 or 24 of lead; the strings stand side by side")]
    public int Series { get; init; } = 1;
    [Field(QuantityKind.Charge, 5, 2000, Label = "One block")] public double BlockAh { get; init; } = 100;
    [Field(QuantityKind.Count, 1, 40, Label = "Blocks in parallel")] public int Blocks { get; init; } = 2;
    [Field(QuantityKind.Fraction, 0.5, 1, Label = "Capacity left by age")] public double CapacityLeft { get; init; } = 1;
    [Field(QuantityKind.Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(QuantityKind.Current, 5, 2000, Label = "Discharge limit of one block",
        Help = "the management board's continuous rating; empty takes 1 A for each Ah", Optional = true)]
    public double? BlockLimitA { get; init; }
    [Field(QuantityKind.Length, 0, 30, Label = "Cable to the inverter, one way")] public double CableM { get; init; } = 1.5;
    [Field(QuantityKind.ConductorArea, 2, 400, Label = "Size of that cable")] public double CableMm2 { get; init; } = 50;
    [Field(QuantityKind.Current, 100, 100000, Label = "Its main fuse interrupts up to",
        Help = "the interrupting rating on the fuse, not its amperes; empty where it states none",
        Optional = true)]
    public double? FuseInterruptsA { get; init; }
    [Ask("Blocks differ in kind, size or age")] public bool Mixed { get; init; }

    /// <summary>Nominal voltage of the bank.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double BankV => 12.0 * Cells / CellData.Of(Chemistry).CellsPer12V;

    [System.Text.Json.Serialization.JsonIgnore]
    public int Cells => BuiltOf == BankUnit.Cells ? Series : (int)Math.Round(NominalV * Series / 12 * CellData.Of(Chemistry).CellsPer12V);

    /// <summary>Nominal energy of the bank, kWh.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double BankKWh => BankV * BlockAh * Blocks / 1000;
}

/// <summary>Classes of inverter.</summary>
public enum InverterClass
{
    [Called("high-frequency")] HighFrequency, [Called("with transformer (low-frequency)")]
    Transformer, [Called("power station")] PowerStation, [Called("hybrid, with a solar input of its own")] Hybrid
}

public sealed record InverterDesign : DesignPart
{
    [Ask("Inverter on board")] public bool Fitted { get; init; } = true;
    [Ask("Class")] public InverterClass Class { get; init; } = InverterClass.HighFrequency;
    [Field(QuantityKind.ElectricPower, 100, 30000, Label = "Continuous rating")] public double RatedW { get; init; } = 2000;
    [Field(QuantityKind.Voltage, 100, 250, Label = "Output")] public double OutputV { get; init; } = 120;
    [Field(QuantityKind.ElectricPower, 0, 300, Label = "Draws when idle", Optional = true)] public double? IdleW { get; init; }
    [Ask("Its heat stays in the cooled space")] public bool Inside { get; init; }
    [Field(QuantityKind.ElectricPower, 0, 20000, Label = "The unit draws through it, while it cools",
        Help = "its losses heat the space too; Start offers the figure")]
    public double UnitW { get; init; }
    [Ask("Modified sine wave", Help = "cheap inverters; no compressor starts on it")] public bool ModifiedSine { get; init; }
    [Field(QuantityKind.Temperature, -20, 60, Label = "It stands in",
        Help = "1 % less for each {1:TemperatureDifference} above {25:Temperature}; a maker's derate replaces it")]
    public double AmbientC { get; init; } = 25;
    [Field(QuantityKind.ApparentPower, 100, 30000, Label = "Its label in VA", Help = "where it gives both, the smaller counts", Optional = true)]
    public double? LabelVa { get; init; }
    [Field(QuantityKind.ElectricPower, 100, 90000, Label = "Peak on its label", Help = "worth nothing without the time it lasts; see below", Optional = true)]
    public double? PeakW { get; init; }

    /// <summary>What its maker says it bears; where there is any, it replaces the class's typical curve.</summary>
    [Ask("Surge rating, by its maker")] public IReadOnlyList<SurgeDesign> Surge { get; init; } = [];

    /// <summary>Its maker's efficiency table; from two points on, the losses are fitted to it.</summary>
    [Ask("Its efficiency, by its maker")] public IReadOnlyList<EfficiencyDesign> Efficiency { get; init; } = [];

    /// <summary>Watts it gives for hours on end where it stands.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double ContinuousW => new InverterModel(Math.Min(RatedW, LabelVa ?? double.MaxValue), 0).ContinuousW(AmbientC);
}

/// <summary>Watts that an inverter bears for a time.</summary>
public sealed record SurgeDesign : DesignPart
{
    [Field(QuantityKind.ElectricPower, 100, 90000, Label = "Bears")] public double PowerW { get; init; } = 4000;
    [Field(QuantityKind.Seconds, 0.01, 7200, Label = "for")] public double Seconds { get; init; } = 5;
}

/// <summary>One point of an efficiency table.</summary>
public sealed record EfficiencyDesign : DesignPart
{
    [Field(QuantityKind.ElectricPower, 10, 30000, Label = "At")] public double PowerW { get; init; } = 500;
    [Field(QuantityKind.Fraction, 0.3, 0.999, Label = "it has")] public double Efficiency { get; init; } = 0.90;
}

public sealed record GeneratorDesign : DesignPart
{
    [Ask("Generator on board")] public bool Fitted { get; init; }
    [Ask("Kind")] public GeneratorKind Kind { get; init; } = GeneratorKind.Inverter;
    [Ask("Fuel")] public FuelKind Fuel { get; init; } = FuelKind.PetrolInverter;
    [Field(QuantityKind.Voltage, 100, 250, Label = "Output")] public double OutputV { get; init; } = 120;
    [Field(QuantityKind.ElectricPower, 300, 50000, Label = "Rated at sea level")] public double RatedW { get; init; } = 1800;
    [Field(QuantityKind.ElectricPower, 300, 60000, Label = "Maximum at sea level")] public double MaximumW { get; init; } = 2200;
    [Ask("Starts by itself for the battery")] public bool AutoStart { get; init; }
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "May run from")] public double AllowedFrom { get; init; } = 8;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double AllowedTo { get; init; } = 21;
    [Field(QuantityKind.Fraction, 0.1, 0.9, Label = "Starts at a charge of")] public double StartSoc { get; init; } = 0.6;
    [Field(QuantityKind.Fraction, 0.2, 1, Label = "Stops at")] public double StopSoc { get; init; } = 0.9;
    [Field(QuantityKind.ElectricPower, 0, 10000, Label = "Battery charger on it")] public double ChargerW { get; init; } = 800;
    [Ask("Carbon monoxide alarm fitted and tried")] public bool CoAlarm { get; init; }
}

/// <summary>Shore power.</summary>
public sealed record ShoreDesign : DesignPart
{
    [Ask("Plugged in at this place")] public bool PluggedIn { get; init; }
    [Field(QuantityKind.Voltage, 100, 250, Label = "Voltage")] public double Volts { get; init; } = 120;
    [Field(QuantityKind.Current, 2, 125, Label = "Breaker")] public double BreakerA { get; init; } = 30;
    [Field(QuantityKind.Length, 0, 200, Label = "Cable, one way")] public double CableM { get; init; } = 8;
    [Field(QuantityKind.ConductorArea, 0.5, 100, Label = "Size of that cable")] public double CableMm2 { get; init; } = 5.26;
    [Ask("The inverter helps when the loads are above it")] public bool Assist { get; init; }
}

/// <summary>Solar modules lying flat on the roof.</summary>
public sealed record ModulesDesign : DesignPart
{
    /// <summary>Modules at most that a rig's roof is asked about.</summary>
    public const int Most = 200;

    [Field(QuantityKind.Count, 0, Most, Label = "Modules")] public int Count { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 800, Label = "One module")] public double RatedW { get; init; } = 200;
    [Ask("Mounted")] public ModuleMounting Mounting { get; init; } = ModuleMounting.LittleRearAir;
    [Ask("Cells' heat is taken")] public CellModel CellModel { get; init; } = CellModel.Mounting;
    [Field(QuantityKind.Temperature, 35, 60, Label = "NOCT on the plate")] public double NoctC { get; init; } = 45;
    [Field(QuantityKind.Voltage, 5, 100, Label = "Open-circuit voltage of one")] public double VocV { get; init; } = 24.3;
    [Field(QuantityKind.Voltage, 5, 90, Label = "Voltage at most power")] public double VmpV { get; init; } = 20.4;
    [Field(QuantityKind.Current, 0.5, 30, Label = "Short-circuit current")] public double IscA { get; init; } = 10.3;
    [Field(QuantityKind.Current, 0.5, 30, Label = "Current at most power")] public double ImpA { get; init; } = 9.8;
    [Field(QuantityKind.Number, -0.006, -0.001, Label = "Open-circuit voltage, share a kelvin", Help = "−0.27 %/K is −0.0027")]
    public double VocPerK { get; init; } = -0.0027;
    [Field(QuantityKind.Current, 5, 60, Label = "Largest series fuse")] public double SeriesFuseA { get; init; } = 20;
    [Ask("They lie over the rig's own roof", Help = "with air between they shade it")] public bool ShadeRoof { get; init; } = true;
    [Field(QuantityKind.SmallLength, 0.2, 2.6, Label = "Length of one")] public double LengthM { get; init; } = 1.49;
    [Field(QuantityKind.SmallLength, 0.2, 1.5, Label = "Width of one")] public double WidthM { get; init; } = 0.67;
    [Field(QuantityKind.Count, 1, 40, Label = "In one string")] public int Series { get; init; } = 1;
    [Ask("Each string has its fuse")] public bool StringsFused { get; init; }

    /// <summary>True where they keep sun off the roof; glued ones pass their heat on instead.</summary>
    internal bool ShadesRoof => ShadeRoof && Mounting != ModuleMounting.Glued;

    /// <summary>Kelvin of the cells above the air for each W/m² of sun.</summary>
    /// <param name="windMs">Wind, m/s.</param>
    public double CellRise(double windMs) => Supply.Modules.CellRise(CellModel, Mounting, NoctC, windMs);
}

/// <summary>The input that the modules feed: a charge controller, or a PV-assisted unit's own.</summary>
public sealed record ControllerDesign : DesignPart
{
    [Ask("Its plate is known")] public bool Known { get; init; }
    [Field(QuantityKind.Voltage, 20, 1500, Label = "Bears at most")] public double MaxV { get; init; } = 150;
    [Field(QuantityKind.Voltage, 5, 1000, Label = "Starts at", Help = "battery controllers: highest battery voltage and 5 V")]
    public double MinV { get; init; } = 19.4;
    [Field(QuantityKind.Voltage, 10, 1400, Label = "Follows the modules up to")] public double TrackMaxV { get; init; } = 145;
    [Field(QuantityKind.Current, 1, 500, Label = "Short-circuit current, at most")] public double MaxIscA { get; init; } = 60;
    [Field(QuantityKind.Current, 1, 500, Label = "Working current, at most")] public double MaxCurrentA { get; init; } = 50;
}

/// <summary>Something on the roof that modules keep clear of.</summary>
public sealed record RoofObstacleDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "vent";
    [Field(QuantityKind.SmallLength, 0, 40, Label = "From the front")] public double FromFrontM { get; init; } = 1;
    [Field(QuantityKind.SmallLength, 0, 10, Label = "From the left")] public double FromLeftM { get; init; } = 0.6;
    [Field(QuantityKind.SmallLength, 0.05, 5, Label = "Length")] public double LengthM { get; init; } = 0.4;
    [Field(QuantityKind.SmallLength, 0.05, 3, Label = "Width")] public double WidthM { get; init; } = 0.4;
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Height")] public double HeightM { get; init; } = 0.1;
}

/// <summary>The roof as modules see it, outside measures.</summary>
public sealed record RoofDesign : DesignPart
{
    [Field(QuantityKind.SmallLength, 0.3, 50, Label = "Roof length", Help = "empty takes the spaces' own", Optional = true)]
    public double? LengthM { get; init; }
    [Field(QuantityKind.SmallLength, 0.3, 50, Label = "Roof width", Optional = true)] public double? WidthM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Keep free along the edges")] public double MarginM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, 0, 0.5, Label = "Between modules")] public double GapM { get; init; } = 0.02;
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Clear of what stands on it")] public double ClearanceM { get; init; } = 0.05;
    [Field(QuantityKind.Degrees, 0, 80, Label = "No shadow from a sun above", Help = "0 leaves shadows out")] public double ShadowElevationDeg { get; init; }
    [Field(QuantityKind.SmallLength, 0, 50, Label = "Rooftop unit from the front",
        Help = "empty sets it in the middle; only units that stand on the roof count", Optional = true)]
    public double? UnitFromFrontM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 10, Label = "Rooftop unit from the left", Optional = true)] public double? UnitFromLeftM { get; init; }
    [Field(QuantityKind.SmallLength, 0.3, 2, Label = "Its length", Help = "typical of rooftop units; see its manual")]
    public double UnitLengthM { get; init; } = 1.05;
    [Field(QuantityKind.SmallLength, 0.3, 1.5, Label = "Its width")] public double UnitWidthM { get; init; } = 0.70;
    [Field(QuantityKind.SmallLength, 0.05, 1, Label = "Its height")] public double UnitHeightM { get; init; } = 0.30;
    [Ask("On the roof")] public IReadOnlyList<RoofObstacleDesign> Obstacles { get; init; } = [];
}

/// <summary>Charging while driving.</summary>
public sealed record AlternatorDesign : DesignPart
{
    [Field(QuantityKind.ElectricPower, 0, 5000, Label = "Charges while driving with")] public double PowerW { get; init; }
    [Field(QuantityKind.Current, 20, 400, Label = "Rating of the alternator", Help = "with a DC-DC charger; empty takes the watts above", Optional = true)]
    public double? RatedA { get; init; }
    [Field(QuantityKind.Current, 0, 200, Label = "The vehicle itself takes")] public double VehicleA { get; init; } = 35;
    [Field(QuantityKind.Current, 1, 200, Label = "Limit of the DC-DC charger")] public double LimitA { get; init; } = 30;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "Driving from")] public double From { get; init; } = 16;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 17.5;
}
