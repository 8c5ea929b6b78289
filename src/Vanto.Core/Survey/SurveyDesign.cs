using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Survey;

/// <summary>Kinds of rig.</summary>
public enum RigKind
{
    [Called("van")] Van, [Called("RV")] Rv, [Called("bus")] Bus, [Called("boat")] Boat, [Called("trailer")] Trailer,
    [Called("cabin")] Cabin, [Called("workshop")] Workshop, [Called("container")] Container,
}

/// <summary>Sides of a rig; the nose is the front.</summary>
public enum Side { [Called("front")] Front, [Called("right")] Right, [Called("rear")] Rear, [Called("left")] Left, [Called("roof")] Roof }

/// <summary>What is under the floor.</summary>
public enum Underside { [Called("open air")] Air, [Called("water")] Water, [Called("the ground")] Ground }

/// <summary>What people do while awake.</summary>
public enum Activity { [Called("sitting")] Seated, [Called("light work")] LightWork, [Called("bench work")] BenchWork, [Called("asleep")] Sleeping, [Called("heavy work")] HeavyWork }

/// <summary>Parked, or on the road.</summary>
public enum Motion { [Called("parked")] Parked, [Called("driving")] Driving }

/// <summary>Supply of a device.</summary>
public enum DeviceSupply { [Called("inverter or shore")] Ac, [Called("battery")] Dc }

/// <summary>The rig as measured: what it is, where it stands, its skin, glass, people, devices and sources.</summary>
public sealed record SurveyDesign : DesignPart
{
    [Ask("Kind of rig")] public RigKind Kind { get; init; } = RigKind.Van;
    public PlaceDesign Place { get; init; } = new();
    [Field(QuantityKind.Angle, 0, 360, Label = "Nose points to", Help = "0 north, 90 east, 180 south, 270 west")] public double HeadingDeg { get; init; } = 180;
    public SpaceDesign Space { get; init; } = new();
    public SkinDesign Roof { get; init; } = new();
    public SkinDesign Walls { get; init; } = new();
    public SkinDesign Floor { get; init; } = new() { Preset = "van-floor", InsulationM = 0.020, Insulation = "xps" };
    [Ask("Under the floor")] public Underside Underside { get; init; } = Underside.Air;
    [Field(QuantityKind.Temperature, -2, 40, Label = "Water temperature")] public double WaterC { get; init; } = 24;
    [Field(QuantityKind.Fraction, 0, 1, Label = "Sun let through by a cover over the roof", Help = "100 % without a cover; solid roof 10 %, shade cloth 20 to 50 %")] public double OverheadCover { get; init; } = 1;
    [Ask("Windows")] public IReadOnlyList<WindowDesign> Windows { get; init; } = [];
    [Ask("The first space is called")] public string FirstSpaceName { get; init; } = "first space";
    [Ask("Further spaces, from the front to the rear")] public IReadOnlyList<FurtherSpaceDesign> Further { get; init; } = [];
    [Ask("It is")] public Motion Motion { get; init; } = Motion.Parked;
    public AiringDesign Airing { get; init; } = new();
    [Ask("Shade")] public IReadOnlyList<ShadeDesign> Shades { get; init; } = [];
    [Ask("Other stands of the season")] public IReadOnlyList<StandDesign> Stands { get; init; } = [];
    public ClimateDesign Climate { get; init; } = new();
    public PeopleDesign People { get; init; } = new();
    [Ask("Others, by the hour")] public IReadOnlyList<OccupantDesign> Occupants { get; init; } = [];
    [Ask("Cooking and flames")] public IReadOnlyList<CookingDesign> Cooking { get; init; } = [];
    [Ask("Devices")] public IReadOnlyList<DeviceDesign> Devices { get; init; } = [];
    public SourcesDesign Sources { get; init; } = new();
}

/// <summary>Place and design day.</summary>
public sealed record PlaceDesign : DesignPart
{
    [Ask("Place")] public string Name { get; init; } = "";
    [Field(QuantityKind.Latitude, -90, 90, Label = "Latitude")] public double LatitudeDeg { get; init; } = 34;
    [Field(QuantityKind.Longitude, -180, 180, Label = "Longitude")] public double LongitudeDeg { get; init; }
    [Field(QuantityKind.Number, -12, 14, Label = "Standard time against UTC, hours")] public double UtcOffsetH { get; init; }
    [Field(QuantityKind.Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(QuantityKind.Count, 1, 12, Label = "Month of the design day")] public int Month { get; init; } = 7;
    [Field(QuantityKind.Count, 1, 28, Label = "Day of the month")] public int Day { get; init; } = 21;
    [Field(QuantityKind.Temperature, -50, 60, Label = "Hottest hour")] public double DryBulbC { get; init; } = 35;
    [Field(QuantityKind.Temperature, -50, 60, Label = "Night low")] public double NightLowC { get; init; } = 22;
    [Field(QuantityKind.Percent, 3, 100, Label = "Humidity at the hottest hour", Help = "the weather service's figure for mid-afternoon")] public double HumidityPct { get; init; } = 30;
    [Field(QuantityKind.Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
    [Field(QuantityKind.Number, 1.5, 10, Label = "Haze (Linke turbidity)", Help = "2.5 clear and dry, 3.5 summer, 4.5 humid, 6 heavy haze")] public double LinkeTurbidity { get; init; } = 3.5;
    [Field(QuantityKind.Fraction, 0, 0.95, Label = "Sun thrown back by the ground", Help = "water 7 %, asphalt 12 %, grass 22 %, concrete 30 %, sand 35 %")] public double Albedo { get; init; } = 0.20;
}

/// <summary>The one conditioned space, inside measures.</summary>
public sealed record SpaceDesign : DesignPart
{
    [Field(QuantityKind.Length, 0.8, 40, Label = "Length")] public double LengthM { get; init; } = 5.4;
    [Field(QuantityKind.Length, 0.8, 20, Label = "Width")] public double WidthM { get; init; } = 1.9;
    [Field(QuantityKind.Length, 0.8, 10, Label = "Height")] public double HeightM { get; init; } = 1.9;
    [Field(QuantityKind.Number, 0, 60, Label = "Air changes an hour", Help = "tight 0.5, ordinary van 1 to 1.5, two roof vents ajar 3")] public double AirChangesPerHour { get; init; } = 1;
    [Field(QuantityKind.HeatCapacity, 5000, 400000, Label = "Weight of the fittings as heat store", Help = "bare van 15,000; fitted 40,000; boat 70,000; earth walls 150,000")] public double MassJm2K { get; init; } = 40000;
}

/// <summary>One skin: a preset with its insulation, or layers of one's own.</summary>
public sealed record SkinDesign : DesignPart
{
    [Ask("Build", Options = "skins")] public string Preset { get; init; } = "van-steel";
    [Ask("Insulation", Options = "insulations")] public string Insulation { get; init; } = "pe-foam";
    [Field(QuantityKind.SmallLength, 0, 0.5, Label = "Insulation thickness")] public double InsulationM { get; init; } = 0.025;
    [Ask("Break over the ribs", Help = "at least 10 mm of foam between ribs and lining")] public bool ThermalBreak { get; init; }
    [Ask("Paint", Options = "paints")] public string Paint { get; init; } = "white";

    public RibDesign Ribs { get; init; } = new();

    /// <summary>Layers from outside to inside; where there are any, they replace the preset.</summary>
    [Ask("Layers")] public IReadOnlyList<LayerDesign> Layers { get; init; } = [];
}

/// <summary>Metals of ribs.</summary>
public enum RibMetal { [Called("steel")] Steel, [Called("aluminium")] Aluminium, [Called("stainless steel")] Stainless }

/// <summary>Metal ribs as measured; they replace the preset's typical ribs.</summary>
public sealed record RibDesign : DesignPart
{
    [Ask("Ribs measured", Help = "else the build's typical ribs are taken")] public bool Measured { get; init; }
    [Ask("Metal of the ribs")] public RibMetal Metal { get; init; } = RibMetal.Steel;
    [Field(QuantityKind.SmallLength, 0.005, 0.2, Label = "Width of the rib at the lining")] public double FlangeM { get; init; } = 0.040;
    [Field(QuantityKind.SmallLength, 0.0005, 0.02, Label = "Metal thickness of its web, all together")] public double WebM { get; init; } = 0.0018;
    [Field(QuantityKind.SmallLength, 0.0005, 0.1, Label = "From the metal to the inside face")] public double DepthM { get; init; } = 0.006;
    [Field(QuantityKind.Length, 0.1, 3, Label = "Rib to rib")] public double SpacingM { get; init; } = 0.4;
}

/// <summary>A space beside the first: a cabin behind the saloon, a bunk behind the studio, a garage that is not cooled.</summary>
public sealed record FurtherSpaceDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "bunk";
    [Ask("Cooled by the unit")] public bool Cooled { get; init; } = true;
    public SpaceDesign Space { get; init; } = new() { LengthM = 2, AirChangesPerHour = 0.5 };
    [Ask("Its skin differs from the first space's")] public bool OwnSkin { get; init; }
    public SkinDesign Roof { get; init; } = new();
    public SkinDesign Walls { get; init; } = new();
    public SkinDesign Floor { get; init; } = new() { Preset = "van-floor", InsulationM = 0.020, Insulation = "xps" };
    [Ask("Windows")] public IReadOnlyList<WindowDesign> Windows { get; init; } = [];
}

/// <summary>Fans and doors.</summary>
public sealed record AiringDesign : DesignPart
{
    [Field(QuantityKind.AirFlow, 0, 1, Label = "Fan that blows out", Help = "as measured while the unit cools; a roof fan moves 25 to 400 L/s")] public double FanM3s { get; init; }
    [Ask("Doors that are opened")] public IReadOnlyList<DoorDesign> Doors { get; init; } = [];
}

/// <summary>A door and how often it is opened.</summary>
public sealed record DoorDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "side door";
    [Field(QuantityKind.Length, 0.2, 5, Label = "Width")] public double WidthM { get; init; } = 0.9;
    [Field(QuantityKind.Length, 0.3, 4, Label = "Height")] public double HeightM { get; init; } = 1.7;
    [Field(QuantityKind.Number, 0, 120, Label = "Openings an hour")] public double OpeningsPerHour { get; init; } = 4;
    [Field(QuantityKind.Seconds, 1, 600, Label = "each for")] public double SecondsEach { get; init; } = 20;
}

/// <summary>What shades the rig.</summary>
public enum ShadeKind
{
    [Called("awning")] Awning, [Called("building or wall")] Building, [Called("tree in leaf")] TreeInLeaf, [Called("tree, light crown")] TreeLight, [Called("bare tree")] TreeBare, [Called("conifer")] Conifer,
}

/// <summary>One thing that shades: an awning on a side, or something that stands round about.</summary>
public sealed record ShadeDesign : DesignPart
{
    [Ask("Kind")] public ShadeKind Kind { get; init; } = ShadeKind.Awning;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "Out or there from")] public double From { get; init; }
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 24;
    [Ask("Awning on the")] public Side Side { get; init; } = Side.Right;
    [Field(QuantityKind.Length, 0.2, 6, Label = "Awning stands out")] public double DepthM { get; init; } = 2.4;
    [Field(QuantityKind.Length, 0.3, 20, Label = "Awning is wide")] public double WidthM { get; init; } = 3.5;
    [Field(QuantityKind.Length, -10, 10, Label = "its middle right of the side's, looking out")] public double OffsetM { get; init; }
    [Field(QuantityKind.Length, 0.5, 60, Label = "Building or tree is high, above the rig's middle")] public double HeightM { get; init; } = 6;
    [Field(QuantityKind.Length, 0.5, 200, Label = "and stands off by")] public double DistanceM { get; init; } = 5;
    [Field(QuantityKind.Angle, 0, 360, Label = "It spans the compass from", Help = "clockwise: 225 to 315 is the whole west")] public double FromDeg { get; init; } = 225;
    [Field(QuantityKind.Angle, 0, 360, Label = "to")] public double ToDeg { get; init; } = 315;
}

/// <summary>Another place where the rig stands in the season.</summary>
public sealed record StandDesign : DesignPart
{
    [Ask("From", Help = "month-day")] public string From { get; init; } = "08-01";
    public PlaceDesign Place { get; init; } = new();
    [Field(QuantityKind.Angle, 0, 360, Label = "Nose points to")] public double HeadingDeg { get; init; } = 180;
}

/// <summary>The climate round the year and the winter's design night.</summary>
public sealed record ClimateDesign : DesignPart
{
    [Field(QuantityKind.Temperature, -50, 30, Label = "Coldest night to be heated through")] public double WinterC { get; init; }
    [Field(QuantityKind.Speed, 0, 40, Label = "Wind in that night")] public double WinterWindMs { get; init; } = 4;
    [Field(QuantityKind.Temperature, -2, 30, Label = "Water in winter")] public double WinterWaterC { get; init; } = 8;
    [Field(QuantityKind.Count, 1, 1000000, Label = "Seed of the made weather", Help = "the same seed makes the same year")] public int Seed { get; init; } = 1;
    [Ask("Weather file", Help = "read in under The season; empty makes weather from the months")] public string WeatherFile { get; init; } = "";

    /// <summary>Twelve months, or none where no year is asked.</summary>
    [Ask("Months, January to December")] public IReadOnlyList<MonthClimate> Months { get; init; } = [];
}

/// <summary>Who is there.</summary>
public enum OccupantKind { [Called("people")] People, [Called("animals")] Animals }

/// <summary>People or animals by the hour, beside those who live there.</summary>
public sealed record OccupantDesign : DesignPart
{
    [Ask("They are")] public OccupantKind Kind { get; init; } = OccupantKind.People;
    [Field(QuantityKind.Count, 1, 60, Label = "How many")] public int Count { get; init; } = 1;
    [Ask("They do")] public Activity Activity { get; init; } = Activity.Seated;
    [Field(QuantityKind.Mass, 0.1, 900, Label = "One animal weighs")] public double MassKg { get; init; } = 10;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 9;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 17;
    [Ask("Left alone", Help = "nobody there to act when the power fails")] public bool Alone { get; init; }
}

/// <summary>Kinds of stove.</summary>
public enum StoveKind { [Called("electric")] Electric, [Called("propane, unvented")] Propane }

/// <summary>Cooking or another flame.</summary>
public sealed record CookingDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "stove";
    [Ask("Kind")] public StoveKind Kind { get; init; } = StoveKind.Electric;
    [Field(QuantityKind.Power, 50, 20000, Label = "Heat")] public double PowerW { get; init; } = 1000;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 18;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 18.5;
    [Ask("A hood or fan takes it out")] public bool Hood { get; init; }
}

/// <summary>One solid layer.</summary>
public sealed record LayerDesign : DesignPart
{
    [Ask("Material", Options = "materials")] public string Material { get; init; } = "plywood";
    [Field(QuantityKind.SmallLength, 0.0001, 1, Label = "Thickness")] public double ThicknessM { get; init; } = 0.006;
}

/// <summary>Windows of one size on one side.</summary>
public sealed record WindowDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "window";
    [Ask("Side")] public Side Side { get; init; } = Side.Left;
    [Field(QuantityKind.Length, 0.05, 12, Label = "Width")] public double WidthM { get; init; } = 0.9;
    [Field(QuantityKind.Length, 0.05, 5, Label = "Height")] public double HeightM { get; init; } = 0.5;
    [Field(QuantityKind.Count, 1, 40, Label = "How many")] public int Count { get; init; } = 1;
    [Ask("Glazing", Options = "glazings")] public string Glazing { get; init; } = "acrylic-double";
    [Ask("Cover", Options = "covers")] public string Cover { get; init; } = "none";
}

/// <summary>People and their day.</summary>
public sealed record PeopleDesign : DesignPart
{
    [Field(QuantityKind.Count, 0, 60, Label = "People")] public int Count { get; init; } = 2;
    [Ask("By day they are")] public Activity Activity { get; init; } = Activity.Seated;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "Inside and awake from")] public double AwakeFrom { get; init; } = 7;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double AwakeTo { get; init; } = 22;
    [Ask("They sleep here")] public bool SleepHere { get; init; } = true;
}

/// <summary>Something that draws power: it heats the space, loads the battery and stands beside the unit at its start.</summary>
public sealed record DeviceDesign : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "fridge";
    [Field(QuantityKind.ElectricPower, 0, 20000, Label = "Draws")] public double PowerW { get; init; } = 45;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "from")] public double From { get; init; }
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 24;
    [Ask("Fed by")] public DeviceSupply Supply { get; init; } = DeviceSupply.Dc;
    [Ask("Inside the space")] public bool Inside { get; init; } = true;
    [Ask("May be on when the unit starts")] public bool OnAtStart { get; init; }
    [Ask("May be switched off for the start")] public bool MayWait { get; init; } = true;
    [Field(QuantityKind.Count, 1, 40, Label = "On limited power it goes as number", Help = "empty: the largest first; what may not wait never goes", Optional = true)] public int? ShedRank { get; init; }
}

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
    [Field(QuantityKind.Count, 1, 48, Label = "In series", Help = "blocks, or cells: 4, 8 or 16 lithium cells, 6, 12 or 24 of lead; the strings stand side by side")] public int Series { get; init; } = 1;
    [Field(QuantityKind.Charge, 5, 2000, Label = "One block")] public double BlockAh { get; init; } = 100;
    [Field(QuantityKind.Count, 1, 40, Label = "Blocks in parallel")] public int Blocks { get; init; } = 2;
    [Field(QuantityKind.Fraction, 0.5, 1, Label = "Capacity left by age")] public double CapacityLeft { get; init; } = 1;
    [Field(QuantityKind.Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(QuantityKind.Current, 5, 2000, Label = "Discharge limit of one block", Help = "the management board's continuous rating; empty takes 1 A for each Ah", Optional = true)] public double? BlockLimitA { get; init; }
    [Field(QuantityKind.Length, 0, 30, Label = "Cable to the inverter, one way")] public double CableM { get; init; } = 1.5;
    [Field(QuantityKind.ConductorArea, 2, 400, Label = "Size of that cable")] public double CableMm2 { get; init; } = 50;
    [Field(QuantityKind.Current, 100, 100000, Label = "Its main fuse interrupts up to", Help = "the interrupting rating on the fuse, not its amperes; empty where it states none", Optional = true)] public double? FuseInterruptsA { get; init; }
    [Ask("Blocks differ in kind, size or age")] public bool Mixed { get; init; }

    /// <summary>Nominal voltage of the bank.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double BankV => 12.0 * Cells / CellData.Of(Chemistry).CellsPer12V;

    /// <summary>Cells in series.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public int Cells => BuiltOf == BankUnit.Cells ? Series : (int)Math.Round(NominalV * Series / 12 * CellData.Of(Chemistry).CellsPer12V);

    /// <summary>Nominal energy of the bank, kWh.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double BankKWh => BankV * BlockAh * Blocks / 1000;
}

/// <summary>Classes of inverter.</summary>
public enum InverterClass { [Called("high-frequency")] HighFrequency, [Called("with transformer (low-frequency)")] Transformer, [Called("power station")] PowerStation, [Called("hybrid, with a solar input of its own")] Hybrid }

/// <summary>The inverter.</summary>
public sealed record InverterDesign : DesignPart
{
    [Ask("Inverter on board")] public bool Fitted { get; init; } = true;
    [Ask("Class")] public InverterClass Class { get; init; } = InverterClass.HighFrequency;
    [Field(QuantityKind.ElectricPower, 100, 30000, Label = "Continuous rating")] public double RatedW { get; init; } = 2000;
    [Field(QuantityKind.Voltage, 100, 250, Label = "Output")] public double OutputV { get; init; } = 120;
    [Field(QuantityKind.ElectricPower, 0, 300, Label = "Draws when idle", Optional = true)] public double? IdleW { get; init; }
    [Ask("Its heat stays in the cooled space")] public bool Inside { get; init; }
    [Field(QuantityKind.ElectricPower, 0, 20000, Label = "The unit draws through it, while it cools", Help = "its losses heat the space too; Start offers the figure")] public double UnitW { get; init; }
    [Ask("Modified sine wave", Help = "cheap inverters; no compressor starts on it")] public bool ModifiedSine { get; init; }
    [Field(QuantityKind.Temperature, -20, 60, Label = "It stands in", Help = "1 % less for each degree above 25 °C; a maker's derate replaces it")] public double AmbientC { get; init; } = 25;
    [Field(QuantityKind.ApparentPower, 100, 30000, Label = "Its label in VA", Help = "where it gives both, the smaller counts", Optional = true)] public double? LabelVa { get; init; }
    [Field(QuantityKind.ElectricPower, 100, 90000, Label = "Peak on its label", Help = "worth nothing without the time it lasts; see below", Optional = true)] public double? PeakW { get; init; }

    /// <summary>What its maker says it bears; where there is any, it replaces the class's typical curve.</summary>
    [Ask("It bears, by its maker")] public IReadOnlyList<BearDesign> Bears { get; init; } = [];

    /// <summary>Its maker's efficiency table; from two points on, the losses are fitted to it.</summary>
    [Ask("Its efficiency, by its maker")] public IReadOnlyList<EfficiencyDesign> Efficiency { get; init; } = [];

    /// <summary>Watts it gives for hours on end where it stands.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double ContinuousW => new InverterModel(Math.Min(RatedW, LabelVa ?? double.MaxValue), 0).ContinuousW(AmbientC);
}

/// <summary>Watts that an inverter bears for a time.</summary>
public sealed record BearDesign : DesignPart
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

/// <summary>The generator.</summary>
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
    [Ask("Plugged in at this place")] public bool Fitted { get; init; }
    [Field(QuantityKind.Voltage, 100, 250, Label = "Voltage")] public double Volts { get; init; } = 120;
    [Field(QuantityKind.Current, 2, 125, Label = "Breaker")] public double BreakerA { get; init; } = 30;
    [Field(QuantityKind.Length, 0, 200, Label = "Cable, one way")] public double CableM { get; init; } = 8;
    [Field(QuantityKind.ConductorArea, 0.5, 100, Label = "Size of that cable")] public double CableMm2 { get; init; } = 5.26;
    [Ask("The inverter helps when the loads are above it")] public bool Assist { get; init; }
}

/// <summary>Solar modules lying flat on the roof.</summary>
public sealed record ModulesDesign : DesignPart
{
    [Field(QuantityKind.Count, 0, 200, Label = "Modules")] public int Count { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 800, Label = "One module")] public double RatedW { get; init; } = 200;
    [Ask("Mounted")] public ModuleMounting Mounting { get; init; } = ModuleMounting.LittleRearAir;
    [Ask("Cells' heat is taken")] public CellModel CellModel { get; init; } = CellModel.Mounting;
    [Field(QuantityKind.Temperature, 35, 60, Label = "NOCT on the plate")] public double NoctC { get; init; } = 45;
    [Field(QuantityKind.Voltage, 5, 100, Label = "Open-circuit voltage of one")] public double OpenV { get; init; } = 24.3;
    [Field(QuantityKind.Voltage, 5, 90, Label = "Voltage at most power")] public double PowerV { get; init; } = 20.4;
    [Field(QuantityKind.Current, 0.5, 30, Label = "Short-circuit current")] public double ShortA { get; init; } = 10.3;
    [Field(QuantityKind.Current, 0.5, 30, Label = "Current at most power")] public double PowerA { get; init; } = 9.8;
    [Field(QuantityKind.Number, -0.006, -0.001, Label = "Open-circuit voltage, share a kelvin", Help = "−0.27 %/K is −0.0027")] public double OpenPerK { get; init; } = -0.0027;
    [Field(QuantityKind.Current, 5, 60, Label = "Largest series fuse")] public double SeriesFuseA { get; init; } = 20;
    [Field(QuantityKind.SmallLength, 0.2, 2.6, Label = "Length of one")] public double LengthM { get; init; } = 1.49;
    [Field(QuantityKind.SmallLength, 0.2, 1.5, Label = "Width of one")] public double WidthM { get; init; } = 0.67;
    [Field(QuantityKind.Count, 1, 40, Label = "In one string")] public int Series { get; init; } = 1;
    [Ask("Each string has its fuse")] public bool StringsFused { get; init; }

    /// <summary>Kelvin of the cells above the air for each W/m² of sun.</summary>
    /// <param name="windMs">Wind, m/s.</param>
    public double CellRise(double windMs) => Physics.Modules.CellRise(CellModel, Mounting, NoctC, windMs);
}

/// <summary>The input that the modules feed: a charge controller, or a PV-assisted unit's own.</summary>
public sealed record ControllerDesign : DesignPart
{
    [Ask("Its plate is known")] public bool Known { get; init; }
    [Field(QuantityKind.Voltage, 20, 1500, Label = "Bears at most")] public double MaxV { get; init; } = 150;
    [Field(QuantityKind.Voltage, 5, 1000, Label = "Starts at", Help = "battery controllers: highest battery voltage and 5 V")] public double MinV { get; init; } = 19.4;
    [Field(QuantityKind.Voltage, 10, 1400, Label = "Follows the modules up to")] public double TrackMaxV { get; init; } = 145;
    [Field(QuantityKind.Current, 1, 500, Label = "Short-circuit current, at most")] public double ShortMaxA { get; init; } = 60;
    [Field(QuantityKind.Current, 1, 500, Label = "Working current, at most")] public double WorkMaxA { get; init; } = 50;
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
    [Field(QuantityKind.SmallLength, 0.3, 50, Label = "Roof length", Help = "empty takes the spaces' own", Optional = true)] public double? LengthM { get; init; }
    [Field(QuantityKind.SmallLength, 0.3, 50, Label = "Roof width", Optional = true)] public double? WidthM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Keep free along the edges")] public double MarginM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, 0, 0.5, Label = "Between modules")] public double GapM { get; init; } = 0.02;
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Clear of what stands on it")] public double ClearanceM { get; init; } = 0.05;
    [Field(QuantityKind.Degrees, 0, 80, Label = "No shadow from a sun above", Help = "0 leaves shadows out")] public double ShadowElevationDeg { get; init; }
    [Field(QuantityKind.SmallLength, 0, 50, Label = "Rooftop unit from the front", Help = "empty sets it in the middle; only units that stand on the roof count", Optional = true)] public double? UnitFromFrontM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 10, Label = "Rooftop unit from the left", Optional = true)] public double? UnitFromLeftM { get; init; }
    [Field(QuantityKind.SmallLength, 0.3, 2, Label = "Its length", Help = "typical of rooftop units; see its manual")] public double UnitLengthM { get; init; } = 1.05;
    [Field(QuantityKind.SmallLength, 0.3, 1.5, Label = "Its width")] public double UnitWidthM { get; init; } = 0.70;
    [Field(QuantityKind.SmallLength, 0.05, 1, Label = "Its height")] public double UnitHeightM { get; init; } = 0.30;
    [Ask("On the roof")] public IReadOnlyList<RoofObstacleDesign> Obstacles { get; init; } = [];
}

/// <summary>Charging while driving.</summary>
public sealed record AlternatorDesign : DesignPart
{
    [Field(QuantityKind.ElectricPower, 0, 5000, Label = "Charges while driving with")] public double PowerW { get; init; }
    [Field(QuantityKind.Current, 20, 400, Label = "Rating of the alternator", Help = "with a DC-DC charger; empty takes the watts above", Optional = true)] public double? RatedA { get; init; }
    [Field(QuantityKind.Current, 0, 200, Label = "The vehicle itself takes")] public double VehicleA { get; init; } = 35;
    [Field(QuantityKind.Current, 1, 200, Label = "Limit of the DC-DC charger")] public double LimitA { get; init; } = 30;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "Driving from")] public double From { get; init; } = 16;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 17.5;
}
