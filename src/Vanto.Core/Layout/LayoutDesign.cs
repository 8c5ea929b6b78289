using Vanto.Core.Quantities;

namespace Vanto.Core.Layout;

/// <summary>What a wall is built of.</summary>
public enum WallBuild
{
    [Called("sheet on ribs")] Ribs, [Called("timber studs")] Studs, [Called("masonry")] Masonry, [Called("sandwich panel")] Sandwich,
}

/// <summary>Which wall of the rig the head hangs on; all of it is seen from inside.</summary>
public enum WallSide { [Called("rear")] Rear, [Called("front")] Front, [Called("left")] Left, [Called("right")] Right }

/// <summary>Things that a head, a drill or a pipe keeps away from.</summary>
public enum ThingKind
{
    [Called("window")] Window, [Called("hatch or door")] Hatch, [Called("curtain")] Curtain, [Called("cupboard or shelf")] Cupboard,
    [Called("television or radio")] Electronics, [Called("smoke or CO alarm")] Alarm, [Called("stove or heater")] Stove,
    [Called("socket or switch")] Socket, [Called("electric cable")] Cable, [Called("water pipe")] Water, [Called("gas or fuel line")] Gas,
    [Called("airbag, belt anchor or pillar")] Safety, [Called("lamp, plate or meter")] Fixture, [Called("something else")] Other,
}

/// <summary>On which side of the wall a thing is.</summary>
public enum ThingPlace { [Called("on this side")] Inside, [Called("in the wall")] Within, [Called("on the other side")] Outside }

/// <summary>One thing on, in or behind the wall, as it is measured from inside.</summary>
public sealed record ThingDesign : DesignPart
{
    [Ask("Called", Longest = 60)] public string Name { get; init; } = "";
    [Ask("It is")] public ThingKind Kind { get; init; } = ThingKind.Window;
    [Ask("It is there")] public ThingPlace Place { get; init; } = ThingPlace.Inside;
    [Field(QuantityKind.SmallLength, 0, 30, Label = "From the wall's left edge")] public double LeftM { get; init; } = 0.6;
    [Field(QuantityKind.SmallLength, 0, 10, Label = "above the floor")] public double LowM { get; init; } = 0.8;
    [Field(QuantityKind.SmallLength, 0.005, 30, Label = "Its width")] public double WidthM { get; init; } = 0.7;
    [Field(QuantityKind.SmallLength, 0.005, 10, Label = "its height")] public double HeightM { get; init; } = 0.4;
}

/// <summary>The wall as measured.</summary>
public sealed record WallDesign : DesignPart
{
    [Ask("The wall is the")] public WallSide Side { get; init; } = WallSide.Rear;
    [Ask("Built of")] public WallBuild Build { get; init; } = WallBuild.Ribs;
    [Field(QuantityKind.Length, 0.5, 30, Label = "Its width", Help = "empty is the space's", Optional = true)] public double? WidthM { get; init; }
    [Field(QuantityKind.Length, 0.5, 10, Label = "Finished ceiling at its left", Help = "empty is the space's height", Optional = true)]
    public double? CeilingM { get; init; }
    [Field(QuantityKind.Length, 0.5, 10, Label = "and at its right", Help = "empty is level", Optional = true)] public double? CeilingRightM { get; init; }
    [Field(QuantityKind.SmallLength, 0.002, 1, Label = "Thickness")] public double ThicknessM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, 0, 30, Label = "First rib or stud",
        Help = "its middle, from the left edge")]
    public double RibFirstM { get; init; } = 0.25;
    [Field(QuantityKind.SmallLength, 0, 5, Label = "then one every", Help = "0 is a wall without any")] public double RibPitchM { get; init; } = 0.45;
    [Field(QuantityKind.SmallLength, 0.01, 0.3, Label = "Width of one")] public double RibWidthM { get; init; } = 0.04;
    [Ask("Searched for cables and pipes, both sides")] public bool Scanned { get; init; }
    [Ask("It must hold back fire")] public bool FireRated { get; init; }
    [Ask("On, in and behind it", Most = 40)] public IReadOnlyList<ThingDesign> Things { get; init; } = [];
}

/// <summary>Which way the pipes leave the head.</summary>
public enum HeadExit { [Called("behind it")] Behind, [Called("to its left")] Left, [Called("to its right")] Right }

/// <summary>The head, its hole and how it is set out.</summary>
public sealed record HeadSpotDesign : DesignPart
{
    [Field(QuantityKind.SmallLength, 0, 30, Label = "Head from the wall's left edge", Help = "empty takes the best place", Optional = true)]
    public double? LeftM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 10, Label = "Its lower edge above the floor", Optional = true)] public double? LowM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 2, Label = "Free under it")] public double BelowM { get; init; } = 0.3;
    [Field(QuantityKind.Length, 0, 4, Label = "Its lower edge at least so high")] public double LeastUpM { get; init; }
    [Field(QuantityKind.SmallLength, -0.2, 1, Label = "Plate's left edge from the head's")] public double PlateRightM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, -0.2, 0.5, Label = "Plate's lower edge above the head's")] public double PlateUpM { get; init; } = 0.04;
    [Field(QuantityKind.Length, 2, 30, Label = "It throws its air",
        Help = "from its manual; 12 m is usual of a head")]
    public double ThrowM { get; init; } = 12.2;
    [Field(QuantityKind.Length, 0, 30, Label = "Room sensor from the bed or desk", Help = "empty where the head's own counts", Optional = true)]
    public double? SensorM { get; init; }
    [Ask("That sensor is in the air stream")] public bool SensorInStream { get; init; }
    [Ask("Pipes leave")] public HeadExit Exit { get; init; } = HeadExit.Behind;
    [Field(QuantityKind.SmallLength, 0.02, 0.15, Label = "Hole, across", Help = "empty is the unit sheet's", Optional = true)]
    public double? HoleM { get; init; }
    [Field(QuantityKind.SmallLength, -0.1, 0.1, Label = "It falls to the outside by", Help = "empty is usual for the thickness", Optional = true)]
    public double? FallM { get; init; }
    [Field(QuantityKind.SmallLength, 0, 0.05, Label = "Sleeve stands proud by")] public double ProudM { get; init; } = 0.01;
    [Field(QuantityKind.Length, 0.05, 2, Label = "Drill reaches")] public double DrillM { get; init; } = 0.4;
    [Field(QuantityKind.SmallLength, -0.2, 0.2, Label = "Inner corner right of the outer", Help = "seen from outside: how frames and flanges shift it")]
    public double CornerRightM { get; init; }
    [Field(QuantityKind.SmallLength, -0.2, 0.2, Label = "Inner corner above the outer")] public double CornerUpM { get; init; }
}

/// <summary>Where the outdoor unit is.</summary>
public enum OutdoorPlace
{
    [Called("on a wall")] Wall, [Called("on a frame at the rear")] RearFrame, [Called("on the roof")] Roof, [Called("under the floor")] Underslung,
    [Called("on deck")] Deck, [Called("on a pad")] Pad, [Called("on a railing")] Railing,
    [Called("in a window")] Window,
}

/// <summary>Which way it blows.</summary>
public enum Blows { [Called("away from the wall")] Away, [Called("along it, to the left")] Left, [Called("along it, to the right")] Right }

/// <summary>What stands round an outdoor unit.</summary>
public enum AroundKind
{
    [Called("wall, fence or post")] Solid, [Called("path, seat or berth")] People, [Called("window or vent")] Window,
    [Called("gas locker, vent or filler")] Gas, [Called("flue or open flame")] Flue, [Called("engine exhaust")] Exhaust,
    [Called("another outdoor unit")] Unit,
}

/// <summary>One thing round the outdoor unit: a box, measured from the wall's left edge (seen from inside), its outer face and the floor.</summary>
public sealed record AroundDesign : DesignPart
{
    [Ask("Called", Longest = 60)] public string Name { get; init; } = "";
    [Ask("It is")] public AroundKind Kind { get; init; } = AroundKind.Solid;
    [Field(QuantityKind.Length, -20, 40, Label = "From the wall's left edge")] public double RightM { get; init; }
    [Field(QuantityKind.Length, 0, 40, Label = "out from the wall")] public double OutM { get; init; } = 1.5;
    [Field(QuantityKind.Length, -10, 20, Label = "above the floor")] public double UpM { get; init; }
    [Field(QuantityKind.Length, 0.01, 40, Label = "Its width")] public double WidthM { get; init; } = 2;
    [Field(QuantityKind.Length, 0.01, 40, Label = "its depth")] public double DepthM { get; init; } = 0.1;
    [Field(QuantityKind.Length, 0.01, 20, Label = "its height")] public double HeightM { get; init; } = 1.8;
}

/// <summary>The outdoor unit's place.</summary>
public sealed record OutdoorSpotDesign : DesignPart
{
    [Ask("It is")] public OutdoorPlace Place { get; init; } = OutdoorPlace.Wall;
    [Field(QuantityKind.Length, -20, 40, Label = "Its middle from the wall's left edge", Help = "seen from inside; empty is beside the hole", Optional = true)]
    public double? RightM { get; init; }
    [Field(QuantityKind.Length, -5, 15, Label = "Its feet above the floor")] public double UpM { get; init; } = 0.1;
    [Field(QuantityKind.SmallLength, 0, 10, Label = "Its back from the wall")] public double OffM { get; init; } = 0.12;
    [Ask("It blows")] public Blows Blows { get; init; } = Blows.Away;
    [Ask("Round it", Most = 30)] public IReadOnlyList<AroundDesign> Around { get; init; } = [];
    [Ask("Salt air")] public bool SaltAir { get; init; }
    [Ask("Its coil is protected against salt")] public bool CoilProtected { get; init; }
    [Field(QuantityKind.SmallLength, 0, 4, Label = "Snow lies up to")] public double SnowM { get; init; }
    [Field(QuantityKind.Length, -20, 40, Label = "Disconnect from the wall's left edge", Help = "seen from inside; empty where none is on this wall",
        Optional = true)]
    public double? DisconnectM { get; init; }
    [Field(QuantityKind.SmallLength, 0.05, 0.5, Label = "its width")] public double DisconnectWideM { get; init; } = 0.13;
    [Field(QuantityKind.Length, 0.2, 4, Label = "its handle above the ground")] public double HandleM { get; init; } = 1.4;
    [Field(QuantityKind.Length, 0, 30, Label = "From a roof's edge", Help = "of a building's roof; empty elsewhere", Optional = true)]
    public double? EdgeM { get; init; }
    [Ask("It is seen from the unit")] public bool DisconnectSeen { get; init; } = true;
}

/// <summary>How a line set comes.</summary>
public enum LineKind
{
    [Called("bare copper")] Bare, [Called("capped with holding gas")] Capped, [Called("pre-evacuated")] PreEvacuated,
    [Called("pre-charged, quick couplings")] PreCharged, [Called("attached to the head")] Attached, [Called("braided, flexible")] Braided,
}

/// <summary>How it is bent.</summary>
public enum BendTool { [Called("by hand or spring")] Hand, [Called("with a lever bender")] Lever }

/// <summary>A point of a route: right along the wall, out from its inner face, up from the floor.</summary>
public sealed record PointDesign : DesignPart
{
    [Field(QuantityKind.Length, -40, 60, Label = "Right")] public double RightM { get; init; }
    [Field(QuantityKind.Length, -20, 40, Label = "out")] public double OutM { get; init; } = 0.3;
    [Field(QuantityKind.Length, -15, 20, Label = "up")] public double UpM { get; init; } = 1;
}

/// <summary>The pipe's way.</summary>
public sealed record LineDesign : DesignPart
{
    [Ask("Line set")] public LineKind Kind { get; init; } = LineKind.Bare;
    [Ask("Bent")] public BendTool Bent { get; init; } = BendTool.Hand;
    [Ask("Points between hole and unit", Most = 40, Help = "none is the straight way")] public IReadOnlyList<PointDesign> Points { get; init; } = [];
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Tail at the head")] public double HeadTailM { get; init; } = 0.15;
    [Field(QuantityKind.SmallLength, 0, 1.5, Label = "Tail at the unit")] public double UnitTailM { get; init; } = 0.25;
    [Field(QuantityKind.Fraction, 0, 0.15, Label = "Measuring may miss")] public double Allowance { get; init; } = 0.03;
    [Field(QuantityKind.Length, 0.5, 60, Label = "Length of the set at hand", Help = "empty takes one that is sold", Optional = true)]
    public double? KitM { get; init; }
    [Field(QuantityKind.SmallLength, 0.003, 0.04, Label = "Insulation of each pipe")] public double InsulationM { get; init; } = 0.009;
    [Field(QuantityKind.SmallLength, 0.004, 0.03, Label = "Cable between, across")] public double CableM { get; init; } = 0.010;
    [Field(QuantityKind.SmallLength, 0, 0.1, Label = "Largest fitting that must pass", Help = "quick coupling across its corners; 0 for plain pipe")]
    public double FittingM { get; init; }
    [Field(QuantityKind.Length, 0.1, 5, Label = "Free width for a coil")] public double CoilRoomM { get; init; } = 0.5;
    [Ask("The coil would stand on edge")] public bool CoilStands { get; init; }
    [Ask("Its seal is broken or its vacuum is gone")] public bool SealBroken { get; init; }
    [Ask("Old pipe is used again")] public bool Reused { get; init; }
    [Ask("Another oil or refrigerant ran in it")] public bool OtherOil { get; init; }
}

/// <summary>How water leaves.</summary>
public enum DrainBy { [Called("its own fall")] Gravity, [Called("a pump")] Pump }

/// <summary>The drain.</summary>
public sealed record DrainDesign : DesignPart
{
    [Ask("Water leaves by")] public DrainBy By { get; init; } = DrainBy.Gravity;
    [Field(QuantityKind.Length, -10, 15, Label = "It ends above the floor at")] public double EndUpM { get; init; } = 0.1;
    [Ask("Points on its way", Most = 40, Help = "none goes through the hole and straight down")] public IReadOnlyList<PointDesign> Points { get; init; } = [];
    [Field(QuantityKind.SmallLength, 0.006, 0.04, Label = "Inside of the hose")] public double InsideM { get; init; } = 0.016;
    [Field(QuantityKind.Degrees, 0, 30, Label = "Parked or heeled fore and aft by")] public double PitchDeg { get; init; }
    [Field(QuantityKind.Degrees, 0, 30, Label = "and sideways by")] public double RollDeg { get; init; }
    [Field(QuantityKind.SmallLength, 0, 0.1, Label = "Lip of the tray")] public double LipM { get; init; } = 0.02;
    [Field(QuantityKind.Degrees, 0, 5, Label = "Tray slopes to its outlet by")] public double TrayDeg { get; init; } = 0.5;
    [Field(QuantityKind.Number, 0.5, 500, Label = "Pump gives at no lift, L/h")] public double PumpLh { get; init; } = 12;
    [Field(QuantityKind.Length, 0.1, 30, Label = "Pump lifts at most")] public double PumpHeadM { get; init; } = 10;
    [Field(QuantityKind.Length, 0, 15, Label = "It must lift")] public double LiftM { get; init; } = 1;
    [Field(QuantityKind.Length, 0, 10, Label = "Pump above its reservoir",
        Help = "a pump in two parts; 0 where it is one")]
    public double SuctionM { get; init; }
    [Field(QuantityKind.Length, 0, 40, Label = "Its hose")] public double HoseM { get; init; } = 4;
    [Field(QuantityKind.SmallLength, 0.003, 0.02, Label = "Inside of its hose")] public double HoseInsideM { get; init; } = 0.006;
    [Ask("Its alarm stops the unit")] public bool AlarmWired { get; init; } = true;
    [Field(QuantityKind.SmallLength, 0, 1, Label = "Free before its cover")] public double CoverRoomM { get; init; } = 0.05;
    [Field(QuantityKind.Number, 0.01, 20, Label = "From its switch to overflowing, L")] public double SpareL { get; init; } = 0.3;
    [Ask("It ends in a soak pit")] public bool Pit { get; init; }
    [Field(QuantityKind.Number, 0.1, 1000, Label = "Soaked away in the test, L/h")] public double SoaksLh { get; init; } = 10;
    [Ask("It ends in the bilge")] public bool ToBilge { get; init; }
    [Ask("Another drain joins it lower down")] public bool Joined { get; init; }
}

/// <summary>Who hears it.</summary>
public sealed record SoundDesign : DesignPart
{
    [Field(QuantityKind.Length, 0.3, 30, Label = "Head to the pillow")] public double PillowM { get; init; } = 2;
    [Field(QuantityKind.Length, 0.3, 30, Label = "Outdoor unit to the pillow, through the wall")] public double UnitToPillowM { get; init; } = 2.5;
    [Field(QuantityKind.Number, 0, 60, Label = "The wall takes away, dB")] public double WallDb { get; init; } = 20;
    [Field(QuantityKind.Length, 0.5, 200, Label = "Outdoor unit to the neighbour")] public double NeighbourM { get; init; } = 8;
    [Field(QuantityKind.Count, 0, 2, Label = "Walls beside the outdoor unit", Help = "each sends as much again to the neighbour")]
    public int Faces { get; init; } = 1;
    [Ask("It runs at night")] public bool AtNight { get; init; } = true;
}

/// <summary>The opening of a rooftop unit.</summary>
public sealed record OpeningDesign : DesignPart
{
    [Field(QuantityKind.SmallLength, 0.2, 0.8, Label = "Opening along the rig")] public double LengthM { get; init; } = 0.36195;
    [Field(QuantityKind.SmallLength, 0.2, 0.8, Label = "across it")] public double WidthM { get; init; } = 0.36195;
    [Field(QuantityKind.SmallLength, 0.2, 0.8, Label = "The unit is made for, along")] public double MadeLengthM { get; init; } = 0.36195;
    [Field(QuantityKind.SmallLength, 0.2, 0.8, Label = "and across")] public double MadeWidthM { get; init; } = 0.36195;
    [Field(QuantityKind.SmallLength, 0.01, 0.3, Label = "Roof thickness")] public double RoofM { get; init; } = 0.05;
    [Field(QuantityKind.SmallLength, 0.005, 0.3, Label = "Its inner part takes from")] public double TakesFromM { get; init; } = 0.025;
    [Field(QuantityKind.SmallLength, 0.01, 0.5, Label = "to")] public double TakesToM { get; init; } = 0.09;
    [Field(QuantityKind.SmallLength, 0.01, 0.06, Label = "Gasket, free")] public double GasketM { get; init; } = 0.0254;
    [Field(QuantityKind.SmallLength, 0.003, 0.059, Label = "pressed to")] public double PressedM { get; init; } = 0.0127;
    [Field(QuantityKind.SmallLength, 0.1, 1, Label = "Across the gasket")] public double AcrossM { get; init; } = 0.40;
    [Field(QuantityKind.Length, 0.5, 100, Label = "Roof is curved, radius", Help = "empty is flat", Optional = true)] public double? CrownM { get; init; }
    [Field(QuantityKind.SmallLength, -0.5, 2, Label = "Nearest rib to the edge",
        Help = "with a minus where it is cut")]
    public double RibM { get; init; } = 0.1;
    [Ask("Cut ribs are framed round and tied")] public bool Framed { get; init; }
    [Field(QuantityKind.Degrees, 0, 30, Label = "Roof slopes by")] public double PitchDeg { get; init; } = 2;
    [Field(QuantityKind.Mass, 1, 2000, Label = "Roof may carry while driving", Help = "empty is not known", Optional = true)]
    public double? DrivingKg { get; init; }
    [Field(QuantityKind.Mass, 1, 5000, Label = "Roof may carry standing", Optional = true)] public double? StaticKg { get; init; }
}

/// <summary>Where everything goes: wall, head, hole, outdoor unit, pipe, drain, sound; and the opening of a rooftop unit.</summary>
public sealed record LayoutDesign : DesignPart
{
    public WallDesign Wall { get; init; } = new();
    public HeadSpotDesign Head { get; init; } = new();
    public OutdoorSpotDesign Outdoor { get; init; } = new();
    public LineDesign Line { get; init; } = new();
    public DrainDesign Drain { get; init; } = new();
    public SoundDesign Sound { get; init; } = new();
    public OpeningDesign Opening { get; init; } = new();
}
