using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Survey;

public enum RigKind
{
    [Called("van")] Van, [Called("RV")] Rv, [Called("bus")] Bus, [Called("boat")] Boat, [Called("trailer")] Trailer,
    [Called("cabin")] Cabin, [Called("workshop")] Workshop, [Called("container")] Container,
}

/// <summary>Sides of a rig; the nose is the front.</summary>
public enum Side { [Called("front")] Front, [Called("right")] Right, [Called("rear")] Rear, [Called("left")] Left, [Called("roof")] Roof }

/// <summary>What lies under and beside a rig.</summary>
public enum GroundKind
{
    [Called("grass")] Grass, [Called("sand")] Sand, [Called("gravel")] Gravel, [Called("concrete")] Concrete, [Called("dark asphalt")] Asphalt,
    [Called("timber deck")] Deck, [Called("water")] Water,
}

/// <summary>What lies behind a side or above a ceiling.</summary>
public enum Beside
{
    [Called("outdoors")] Outdoors, [Called("a cooled room")] CooledRoom, [Called("a room of a given temperature")] Room,
    [Called("shaded air")] ShadedAir, [Called("earth")] Earth,
}

/// <summary>What one side of a space adjoins.</summary>
public sealed record BesideDesign : DesignPart
{
    [Ask("Behind it is")] public Beside Is { get; init; } = Beside.Outdoors;
    [Field(QuantityKind.Temperature, -20, 50, Label = "of", Help = "the room's temperature, where it is a room that is given one")]
    public double RoomC { get; init; } = 30;
}

/// <summary>What the sides of a space adjoin.</summary>
public sealed record AdjoiningDesign : DesignPart
{
    public BesideDesign Front { get; init; } = new();
    public BesideDesign Right { get; init; } = new();
    public BesideDesign Rear { get; init; } = new();
    public BesideDesign Left { get; init; } = new();
    public BesideDesign Roof { get; init; } = new();

    /// <summary>What lies behind a side.</summary>
    public BesideDesign At(Side side) => side switch
    {
        Side.Front => Front,
        Side.Right => Right,
        Side.Rear => Rear,
        Side.Left => Left,
        _ => Roof,
    };
}

/// <summary>A vented roof space above the ceiling.</summary>
public sealed record AtticDesign : DesignPart
{
    [Ask("A vented attic is above the ceiling", Help = "then the roof above is the ceiling's build, and the attic gets hot between")]
    public bool Above { get; init; }
    [Ask("Colour of the roof over it", Options = "paints")] public string Paint { get; init; } = "mid-grey";
    [Field(QuantityKind.Number, 0, 40, Label = "Its air changes an hour", Help = "soffit and ridge vents 3 to 10; few vents 1")]
    public double AirChangesPerHour { get; init; } = 4;
    [Field(QuantityKind.Length, 0.1, 4, Label = "Its height on average")] public double HeightM { get; init; } = 0.8;
}

/// <summary>What is under the floor.</summary>
public enum Underside { [Called("open air")] Air, [Called("water")] Water, [Called("the ground")] Ground }

/// <summary>What people do while awake.</summary>
public enum Activity
{
    [Called("sitting")]
    Seated, [Called("light work")] LightWork, [Called("bench work")] BenchWork, [Called("asleep")] Sleeping, [Called("heavy work")] HeavyWork
}

/// <summary>Parked, or on the road.</summary>
public enum Motion { [Called("parked")] Parked, [Called("driving")] Driving }

public enum DeviceSupply { [Called("inverter or shore")] Ac, [Called("battery")] Dc }

/// <summary>The rig as measured: what it is, where it stands, its skin, glass, people, devices and sources.</summary>
public sealed record SurveyDesign : DesignPart
{
    /// <summary>Bounds of heat as measured over heat as computed; beyond them the readings or the drawing are wrong. The product's own.</summary>
    public const double LeastLoss = 0.4, MostLoss = 2.5;

    [Ask("Kind of rig")] public RigKind Kind { get; init; } = RigKind.Van;
    public PlaceDesign Place { get; init; } = new();
    [Field(QuantityKind.Angle, 0, 360, Label = "Nose points to", Help = "0 north, 90 east, 180 south, 270 west")] public double HeadingDeg { get; init; } = 180;
    public SpaceDesign Space { get; init; } = new();
    public SkinDesign Roof { get; init; } = new();
    public SkinDesign Walls { get; init; } = new();
    public SkinDesign Floor { get; init; } = new() { Preset = "van-floor", InsulationM = 0.020, Insulation = "xps" };
    [Ask("Under the floor")] public Underside Underside { get; init; } = Underside.Air;
    [Field(QuantityKind.Temperature, -2, 40, Label = "Water temperature")] public double WaterC { get; init; } = 24;
    [Field(QuantityKind.Length, 0, 5, Label = "Its sides stand in the water, from the floor up")] public double WaterlineM { get; init; }
    [Field(QuantityKind.Fraction, 0, 1, Label = "Sun let through by a cover over the roof",
        Help = "100 % without a cover; solid roof 10 %, shade cloth 20 to 50 %")]
    public double OverheadCover { get; init; } = 1;
    [Ask("Windows", Most = 40)] public IReadOnlyList<WindowDesign> Windows { get; init; } = [];
    [Ask("The first space is called")] public string FirstSpaceName { get; init; } = "first space";
    [Ask("Further spaces, from the front to the rear", Most = 12)] public IReadOnlyList<FurtherSpaceDesign> Further { get; init; } = [];
    [Field(QuantityKind.Fraction, LeastLoss, MostLoss, Label = "Heat that comes in as measured, share of computed",
        Help = "empty takes what is computed; Commission fits it from a cooling-down", Optional = true)]
    public double? MeasuredLoss { get; init; }
    [Ask("It is")] public Motion Motion { get; init; } = Motion.Parked;
    public AiringDesign Airing { get; init; } = new();
    [Ask("Shade", Most = 30)] public IReadOnlyList<ShadeDesign> Shades { get; init; } = [];
    [Ask("Other stands of the season", Most = 12)] public IReadOnlyList<StandDesign> Stands { get; init; } = [];
    public ClimateDesign Climate { get; init; } = new();
    public PeopleDesign People { get; init; } = new();
    [Ask("Others, by the hour", Most = 40)] public IReadOnlyList<OccupantDesign> Occupants { get; init; } = [];
    [Ask("Cooking and flames", Most = 20)] public IReadOnlyList<CookingDesign> Cooking { get; init; } = [];
    [Ask("Devices", Most = 80)] public IReadOnlyList<DeviceDesign> Devices { get; init; } = [];
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
    [Field(QuantityKind.Percent, 3, 100, Label = "Humidity at the hottest hour", Help = "the weather service's figure for mid-afternoon")]
    public double HumidityPct { get; init; } = 30;
    [Field(QuantityKind.Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
    [Field(QuantityKind.Number, 1.5, 10, Label = "Haze (Linke turbidity)", Help = "2.5 clear and dry, 3.5 summer, 4.5 humid, 6 heavy haze")]
    public double LinkeTurbidity { get; init; } = 3.5;
    [Ask("It stands on")] public GroundKind Ground { get; init; } = GroundKind.Gravel;
    [Field(QuantityKind.Fraction, 0, 0.95, Label = "Sun thrown back by the ground", Help = "empty takes what is usual of the ground", Optional = true)]
    public double? Albedo { get; init; }
}

/// <summary>The one conditioned space, inside measures.</summary>
public sealed record SpaceDesign : DesignPart
{
    [Field(QuantityKind.Length, 0.8, 40, Label = "Length")] public double LengthM { get; init; } = 5.4;
    [Field(QuantityKind.Length, 0.8, 20, Label = "Width")] public double WidthM { get; init; } = 1.9;
    [Field(QuantityKind.Length, 0.8, 10, Label = "Height")] public double HeightM { get; init; } = 1.9;
    [Field(QuantityKind.Number, 0, 60, Label = "Air changes an hour", Help = "tight 0.5, ordinary van 1 to 1.5, two roof vents ajar 3")]
    public double AirChangesPerHour { get; init; } = 1;
    [Field(QuantityKind.Area, 0, 0.5, Label = "Gap round a unit in a window", Help = "what stays open beside its panel or hose; type it as 60 cm²")]
    public double GapM2 { get; init; }
    [Field(QuantityKind.HeatCapacity, 5000, 400000, Label = "Weight of the fittings as heat store",
        Help = "bare van 15,000; fitted 40,000; boat 70,000; earth walls 150,000")]
    public double HeatCapacityJm2K { get; init; } = 40000;
    public AdjoiningDesign Adjoining { get; init; } = new();
    public AtticDesign Attic { get; init; } = new();
}

/// <summary>One skin: a preset with its insulation, or layers of one's own.</summary>
public sealed record SkinDesign : DesignPart
{
    /// <summary>Thickest insulation that can be said.</summary>
    public const double ThickestInsulationM = 0.5;


    [Ask("Build", Options = "skins")] public string Preset { get; init; } = "van-steel";
    [Ask("Insulation", Options = "insulations")] public string Insulation { get; init; } = "pe-foam";
    [Field(QuantityKind.SmallLength, 0, ThickestInsulationM, Label = "Insulation thickness")] public double InsulationM { get; init; } = 0.025;
    [Ask("Break over the ribs", Help = "at least {0.01:SmallLength} of foam between ribs and lining")] public bool ThermalBreak { get; init; }
    [Ask("Paint", Options = "paints")] public string Paint { get; init; } = "white";

    public RibDesign Ribs { get; init; } = new();

    /// <summary>Layers from outside to inside; where there are any, they replace the preset.</summary>
    [Ask("Layers")] public IReadOnlyList<LayerDesign> Layers { get; init; } = [];
}

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
    [Ask("Windows", Most = 40)] public IReadOnlyList<WindowDesign> Windows { get; init; } = [];
}

/// <summary>Fans and doors.</summary>
public sealed record AiringDesign : DesignPart
{
    [Field(QuantityKind.AirFlow, 0, 1, Label = "Fan that blows out",
        Help = "as measured while the unit cools; a roof fan moves {0.025:AirFlow} to {0.4:AirFlow}")]
    public double FanM3s { get; init; }
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
    [Called("awning")] Awning, [Called("building or wall")]
    Building, [Called("tree in leaf")] TreeInLeaf, [Called("tree, light crown")] TreeLight, [Called("bare tree")] TreeBare, [Called("conifer")] Conifer,
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
    [Field(QuantityKind.Angle, 0, 360, Label = "It spans the compass from", Help = "clockwise: 225 to 315 is the whole west")]
    public double FromDeg { get; init; } = 225;
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
    [Field(QuantityKind.Angle, 0, 90, Label = "It leans", Help = "90 upright, 0 flat; empty takes what is usual: a van's windscreen 50, a coach's 80",
        Optional = true)]
    public double? TiltDeg { get; init; }
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
    [Field(QuantityKind.Count, 1, 40, Label = "On limited power it goes as number", Help = "empty: the largest first; what may not wait never goes",
        Optional = true)]
    public int? ShedRank { get; init; }
}
