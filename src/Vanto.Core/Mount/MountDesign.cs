using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>What carries the unit.</summary>
public enum MountKind
{
    [Called("by its place")] ByPlace, [Called("two arms with struts")] Braced, [Called("two plain arms")] Plain,
    [Called("frame on the roof")] RoofFrame, [Called("cradle under the floor")] Cradle, [Called("stand on deck")] DeckStand,
    [Called("pad or slab")] Pad, [Called("hangs on a railing")] Railing, [Called("shelf on a tow bar")] TowBar,
    [Called("clamped through its opening")] Clamp, [Called("stands in a window")] Window,
}

/// <summary>Members of the mount.</summary>
public sealed record FrameDesign : DesignPart
{
    [Ask("Built as")] public MountKind Kind { get; init; } = MountKind.ByPlace;
    [Ask("Of")] public MountMetal Metal { get; init; } = MountMetal.Steel;
    [Ask("Arms or rails")] public Profile Arm { get; init; } = Profile.Tube40;
    [Ask("Struts or legs")] public Profile Strut { get; init; } = Profile.Tube25;
    [Field(QuantityKind.SmallLength, 0.1, 3, Label = "Arm out from the wall", Help = "or rail between its supports")]
    public double ArmM { get; init; } = 0.50;
    [Field(QuantityKind.SmallLength, 0.05, 3, Label = "Strut meets the arm at")] public double StrutOutM { get; init; } = 0.40;
    [Field(QuantityKind.SmallLength, 0.05, 3, Label = "Strut down the wall")] public double StrutDownM { get; init; } = 0.35;
    [Field(QuantityKind.SmallLength, 0.05, 2, Label = "Plate on the wall, height", Help = "of plain arms")] public double PlateM { get; init; } = 0.30;
    [Field(QuantityKind.SmallLength, 0, 2, Label = "Slots from the wall")] public double SlotFromM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, 0.05, 3, Label = "to")] public double SlotToM { get; init; } = 0.48;
    [Field(QuantityKind.SmallLength, 0.1, 3, Label = "Base fore and aft, or deep")] public double BaseDeepM { get; init; } = 0.40;
    [Field(QuantityKind.SmallLength, 0.1, 3, Label = "Base sideways, or wide")] public double BaseWideM { get; init; } = 0.60;
    [Field(QuantityKind.SmallLength, 0.001, 2, Label = "Feet of the unit above the base")] public double StandM { get; init; } = 0.10;
    [Field(QuantityKind.SmallLength, 0.001, 0.02, Label = "Weld, leg")] public double WeldM { get; init; } = 0.003;
    [Ask("Touches what carries it as")] public TouchingMetal Skin { get; init; } = TouchingMetal.None;
    [Ask("Its own surface is")] public TouchingMetal Surface { get; init; } = TouchingMetal.Zinc;

    /// <summary>The same with other arms, its weld no thicker than they are.</summary>
    public FrameDesign Of(Profile arm) => this with { Arm = arm, WeldM = Math.Min(WeldM, ProfileFigures.Of(arm).WallMm / 1000) };
}

/// <summary>How a mount is fixed.</summary>
public enum FixingKind
{
    [Called("by the wall")] ByWall, [Called("bolts right through")] Through, [Called("lag screws")] Lag,
    [Called("screws in sheet")] SheetScrew, [Called("rivet nuts")] RivetNut, [Called("anchors")] Anchor,
}

/// <summary>What it is fixed to.</summary>
public enum FixedTo
{
    [Called("by layout")] ByLayout, [Called("metal ribs")] Ribs, [Called("timber studs")] Studs, [Called("masonry or concrete")] Masonry,
    [Called("laminate or sandwich")] Laminate, [Called("skin alone")] Skin, [Called("chassis rails")] Chassis,
}

/// <summary>Fasteners of the mount.</summary>
public sealed record FixingDesign : DesignPart
{
    [Ask("Held by")] public FixingKind How { get; init; } = FixingKind.ByWall;
    [Ask("Into")] public FixedTo Into { get; init; } = FixedTo.ByLayout;
    [Ask("Size")] public BoltSize Size { get; init; } = BoltSize.M8;
    [Ask("Class")] public BoltClass Grade { get; init; } = BoltClass.C88;
    [Ask("Thread")] public ThreadFinish Thread { get; init; } = ThreadFinish.Dry;
    [Field(QuantityKind.Count, 1, 6, Label = "Fasteners at each height, each arm")] public int InRow { get; init; } = 2;
    [Field(QuantityKind.Count, 2, 4, Label = "Heights, each arm")] public int Rows { get; init; } = 2;
    [Field(QuantityKind.SmallLength, 0.005, 0.3, Label = "To the nearest edge")] public double EdgeM { get; init; } = 0.025;
    [Field(QuantityKind.SmallLength, 0.01, 0.3, Label = "Thread in the wood")] public double ThreadM { get; init; } = 0.05;
    [Ask("The wood is")] public WoodKind Wood { get; init; } = WoodKind.SprucePineFir;
    [Field(QuantityKind.SmallLength, 0.0005, 0.02, Label = "Metal of a rib or rail")] public double RibM { get; init; } = 0.0015;
    [Ask("It is")] public MountMetal RibMetal { get; init; } = MountMetal.Steel;
    [Field(QuantityKind.SmallLength, 0.005, 0.5, Label = "Backing plate or washer, across")] public double BackingM { get; init; } = 0.06;
    [Field(QuantityKind.SmallLength, 0.001, 0.04, Label = "Laminate or outer skin")] public double SkinM { get; init; } = 0.004;
    [Ask("Sandwich with a core")] public bool Core { get; init; } = true;
    [Field(QuantityKind.Stress, 1e5, 5e7, Label = "The core bears")] public double CorePa { get; init; } = 1e6;
    [Ask("Sleeves keep the core from being crushed")] public bool Sleeved { get; init; } = true;
    [Field(QuantityKind.Force, 10, 1e5, Label = "Anchor or rivet nut, pull", Help = "from its paper, in this wall", Optional = true)]
    public double? PullN { get; init; }
    [Field(QuantityKind.Force, 10, 1e5, Label = "and shear", Optional = true)] public double? ShearN { get; init; }
    [Ask("That figure is")] public AnchorRating Rating { get; init; } = AnchorRating.Recommended;
    [Field(QuantityKind.SmallLength, 0.02, 1, Label = "Anchors apart")] public double ApartM { get; init; } = 0.18;
    [Field(QuantityKind.SmallLength, 0.02, 1, Label = "its paper wants apart")] public double CriticalApartM { get; init; } = 0.18;
    [Field(QuantityKind.SmallLength, 0.02, 1, Label = "its paper wants from an edge")] public double CriticalEdgeM { get; init; } = 0.09;
    [Field(QuantityKind.SmallLength, 0, 2, Label = "Bracket may move sideways by")] public double ShiftM { get; init; } = 0.10;
    [Ask("Rails across the studs carry it")] public bool Spreader { get; init; }
    [Ask("Locked against shaking", Help = "spring washers, locking nuts or thread lock")] public bool Locked { get; init; } = true;
}

/// <summary>Rubber feet and the compressor.</summary>
public sealed record FeetDesign : DesignPart
{
    [Ask("Bolts of its feet")] public BoltSize Bolt { get; init; } = BoltSize.M8;
    [Field(QuantityKind.Stiffness, 1000, 1e7, Label = "One foot")] public double EachNm { get; init; } = 30000;
    [Field(QuantityKind.Fraction, 0.01, 0.3, Label = "Damping")] public double Damping { get; init; } = 0.05;
    [Ask("The bolt holds if the rubber fails")] public bool Captive { get; init; } = true;
    [Field(QuantityKind.Frequency, 5, 200, Label = "Compressor turns from")] public double FromHz { get; init; } = 25;
    [Field(QuantityKind.Frequency, 5, 400, Label = "to")] public double ToHz { get; init; } = 100;
    [Field(QuantityKind.SmallLength, -0.5, 0.5, Label = "Its weight sits left of the middle", Help = "towards the compressor, looking at its front")]
    public double OffM { get; init; } = 0.05;
    [Field(QuantityKind.Fraction, 0.1, 0.9, Label = "and at this share of its height")] public double HighShare { get; init; } = 0.45;
}

/// <summary>What the mount must bear, as factors of the weight.</summary>
public sealed record MustBearDesign : DesignPart
{
    [Field(QuantityKind.Ratio, 1, 10, Label = "Standing, times the weight")] public double Times { get; init; } = 4;
    [Ask("Unpaved roads")] public bool Unpaved { get; init; }
    [Field(QuantityKind.Ratio, 0, 10, Label = "Shock of the road, g", Help = "doubled on unpaved roads")] public double ShockG { get; init; } = 2;
    [Field(QuantityKind.Ratio, 0, 5, Label = "Braking, g")] public double BrakeG { get; init; } = 1;
    [Field(QuantityKind.Ratio, 0, 5, Label = "Cornering, g")] public double CornerG { get; init; } = 1;
    [Field(QuantityKind.Speed, 0, 60, Label = "Driven at")] public double DrivenMs { get; init; } = 25;
    [Field(QuantityKind.Speed, 0, 40, Label = "against wind of")] public double AgainstMs { get; init; } = 11.11;
    [Field(QuantityKind.Speed, 0, 90, Label = "Gust where it stands", Help = "from the local code; empty is not judged", Optional = true)]
    public double? GustMs { get; init; }
    [Field(QuantityKind.Degrees, 0, 60, Label = "Boat rolls by")] public double RollDeg { get; init; } = 20;
    [Field(QuantityKind.Seconds, 1, 30, Label = "in")] public double RollS { get; init; } = 5;
    [Field(QuantityKind.Length, 0, 30, Label = "Unit above the axis of the roll")] public double AboveRollM { get; init; } = 2;
    [Field(QuantityKind.Length, 0, 10, Label = "and to its side")] public double BesideRollM { get; init; } = 0.5;
    [Ask("It planes")] public bool Planes { get; init; }
    [Ask("A foot can stand on it")] public bool Stepped { get; init; }
}

/// <summary>The vehicle or boat under it.</summary>
public sealed record RoadDesign : DesignPart
{
    [Field(QuantityKind.Length, 1, 15, Label = "Wheelbase")] public double WheelbaseM { get; init; } = 3.6;
    [Field(QuantityKind.Length, -3, 15, Label = "Unit behind the front axle")] public double BehindM { get; init; } = 2;
    [Field(QuantityKind.Mass, 50, 40000, Label = "Front axle now", Optional = true)] public double? FrontKg { get; init; }
    [Field(QuantityKind.Mass, 50, 40000, Label = "Rear axle now", Optional = true)] public double? RearKg { get; init; }
    [Field(QuantityKind.Mass, 50, 40000, Label = "Front axle may", Optional = true)] public double? FrontMayKg { get; init; }
    [Field(QuantityKind.Mass, 50, 40000, Label = "Rear axle may", Optional = true)] public double? RearMayKg { get; init; }
    [Field(QuantityKind.Mass, 100, 60000, Label = "Whole vehicle may", Optional = true)] public double? GrossKg { get; init; }
    [Field(QuantityKind.Length, 0.5, 3, Label = "Track")] public double TrackM { get; init; } = 1.75;
    [Field(QuantityKind.Length, 0.2, 3, Label = "Its centre of gravity, height")] public double CentreM { get; init; } = 0.9;
    [Field(QuantityKind.Length, 0.5, 5, Label = "Vehicle's height now")] public double HighM { get; init; } = 2.6;
    [Field(QuantityKind.Length, 0, 6, Label = "Top of the unit above the road", Help = "empty where it stays under the vehicle's own height", Optional = true)]
    public double? TopM { get; init; }
    [Field(QuantityKind.Length, 0.5, 4, Label = "Vehicle's width with the unit")] public double WideM { get; init; } = 2.1;
    [Field(QuantityKind.Length, 0, 6, Label = "Lowest point behind the rear axle", Help = "0 where nothing hangs low")] public double LowBehindM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 2, Label = "its height above the road")] public double LowM { get; init; } = 0.4;
    [Field(QuantityKind.SmallLength, 0.1, 1, Label = "Radius of the wheels")] public double WheelM { get; init; } = 0.36;
    [Field(QuantityKind.Mass, 1, 5000, Label = "Roof may carry while driving", Optional = true)] public double? RoofKg { get; init; }
    [Field(QuantityKind.Mass, 1, 500, Label = "Tow bar may carry", Optional = true)] public double? TowBarKg { get; init; }
    [Field(QuantityKind.SmallLength, 0.05, 2, Label = "Unit behind its pin")] public double PinM { get; init; } = 0.45;
    [Ask("It covers a lamp, a plate or a way out")] public bool Covers { get; init; }
    [Ask("Behind a wheel, in its spray")] public bool Spray { get; init; }
    [Field(QuantityKind.Mass, 100, 200000, Label = "Boat weighs")] public double BoatKg { get; init; } = 5000;
    [Field(QuantityKind.Length, 0, 6, Label = "Unit off its middle line")] public double OffMiddleM { get; init; } = 0.5;
    [Field(QuantityKind.Length, 0.1, 5, Label = "Metacentric height")] public double MetacentreM { get; init; } = 1;
    [Field(QuantityKind.Length, -3, 6, Label = "New hole in the hull above the water", Help = "empty where none is made", Optional = true)]
    public double? HullHoleM { get; init; }
    [Field(QuantityKind.Length, 0, 6, Label = "that hole off the middle line")] public double HullHoleOffM { get; init; } = 1.5;
    [Field(QuantityKind.Degrees, 0, 45, Label = "Boat heels by")] public double HeelDeg { get; init; } = 25;
    [Ask("Petrol engine, tank or gas locker in its space")] public bool PetrolSpace { get; init; }
    [Ask("Every part there is protected against ignition")] public bool Protected { get; init; }
}

/// <summary>A slab or pad.</summary>
public sealed record SlabDesign : DesignPart
{
    [Ask("Cast on site")] public bool Cast { get; init; } = true;
    [Field(QuantityKind.Length, 0.2, 5, Label = "Length")] public double LengthM { get; init; } = 1;
    [Field(QuantityKind.Length, 0.2, 5, Label = "width")] public double WidthM { get; init; } = 0.6;
    [Field(QuantityKind.SmallLength, 0.02, 0.5, Label = "thickness")] public double ThickM { get; init; } = 0.1;
    [Ask("Bags of")] public ConcreteBag Bag { get; init; } = ConcreteBag.Kg25;
    [Field(QuantityKind.Fraction, 0, 0.3, Label = "Waste")] public double Waste { get; init; } = 0.05;
    [Field(QuantityKind.Temperature, -10, 45, Label = "Mean temperature while it sets")] public double SetsC { get; init; } = 18;
    [Field(QuantityKind.Number, 0, 120, Label = "Days until it is loaded")] public double Days { get; init; } = 8;
    [Field(QuantityKind.SmallLength, -0.2, 2, Label = "Its top above the ground")] public double TopM { get; init; } = 0.1;
    [Ask("Gravel and mesh")] public bool Bedded { get; init; } = true;
}

/// <summary>A railing that it hangs on, or a window that it stands in: the rail, or the bar or sash above it, keeps it from tipping out.</summary>
public sealed record RailingDesign : DesignPart
{
    [Field(QuantityKind.SmallLength, 0.05, 1, Label = "Its weight out from there")] public double OutM { get; init; } = 0.30;
    [Field(QuantityKind.SmallLength, 0.1, 1.5, Label = "What holds it above what it rests on")] public double DownM { get; init; } = 0.50;
    [Field(QuantityKind.Force, 10, 20000, Label = "Rail or sash may be pulled", Help = "what its paper leaves for things", Optional = true)]
    public double? MayN { get; init; }
    [Field(QuantityKind.Force, 0, 50000, Label = "Safety cable bears")] public double CableN { get; init; } = 2000;
}

/// <summary>What carries the outdoor or rooftop unit, and how it is held.</summary>
public sealed record MountDesign : DesignPart
{
    public FrameDesign Frame { get; init; } = new();
    public FixingDesign Fixing { get; init; } = new();
    public FeetDesign Feet { get; init; } = new();
    public MustBearDesign Bear { get; init; } = new();
    public RoadDesign Road { get; init; } = new();
    public SlabDesign Slab { get; init; } = new();
    public RailingDesign Railing { get; init; } = new();
    [Field(QuantityKind.Length, 0.3, 12, Label = "Stock bars are")] public double StockM { get; init; } = 6;
    [Field(QuantityKind.SmallLength, 0, 0.01, Label = "A cut takes")] public double KerfM { get; init; } = 0.003;
}
