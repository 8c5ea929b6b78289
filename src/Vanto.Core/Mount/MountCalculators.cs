using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Mount;

/// <summary>Inputs of <see cref="MountCalculators.OfProfile"/>.</summary>
public sealed record ProfileInput : DesignPart
{
    [Ask("Profile")] public Profile Profile { get; init; } = Profile.Tube40;
    [Ask("Of")] public MountMetal Metal { get; init; } = MountMetal.Steel;
    [Field(Length, 0.05, 5, Label = "Length, fixed at one end")] public double LengthM { get; init; } = 0.5;
    [Field(Force, 0, 100000, Label = "Load at its end")] public double LoadN { get; init; } = 250;
    [Field(Ratio, 0.5, 10, Label = "taken times")] public double Factor { get; init; } = 1.5;
}

/// <summary>Inputs of <see cref="MountCalculators.Bracket"/>.</summary>
public sealed record BracketInput : DesignPart
{
    [Field(Mass, 1, 300, Label = "The unit weighs")] public double MassKg { get; init; } = 26;
    [Field(Ratio, 1, 10, Label = "taken times")] public double Times { get; init; } = 4;
    [Field(SmallLength, 0.02, 3, Label = "Rear feet from the wall")] public double RearM { get; init; } = 0.16;
    [Field(SmallLength, 0.05, 3, Label = "front feet")] public double FrontM { get; init; } = 0.47;
    [Field(SmallLength, 0.05, 3, Label = "Strut meets the arm at")] public double OutM { get; init; } = 0.40;
    [Field(SmallLength, 0.05, 3, Label = "Strut down the wall")] public double DownM { get; init; } = 0.35;
    [Ask("Strut")] public Profile Strut { get; init; } = Profile.Tube25;
}

/// <summary>Inputs of <see cref="MountCalculators.Cases"/>.</summary>
public sealed record LoadCasesInput : DesignPart
{
    [Field(Mass, 1, 300, Label = "The unit weighs")] public double MassKg { get; init; } = 26;
    [Ask("On")] public RigBase Base { get; init; } = RigBase.Vehicle;
    [Ask("Wall")] public WallSide Side { get; init; } = WallSide.Rear;
    [Ask("On its roof")] public bool Roof { get; init; }
    [Field(Ratio, 1, 10, Label = "Standing, times the weight")] public double Times { get; init; } = 4;
    [Ask("Unpaved roads")] public bool Unpaved { get; init; }
    [Field(Ratio, 0, 10, Label = "Shock of the road, g")] public double ShockG { get; init; } = 2;
    [Field(Length, 1, 15, Label = "Wheelbase")] public double WheelbaseM { get; init; } = 3.6;
    [Field(Length, -3, 15, Label = "Unit behind the front axle")] public double BehindM { get; init; } = 4.5;
    [Field(Speed, 0, 60, Label = "Driven at")] public double DrivenMs { get; init; } = 25;
    [Field(Speed, 0, 90, Label = "Gust where it stands", Optional = true)] public double? GustMs { get; init; }
    [Field(Area, 0.05, 5, Label = "Face to the wind")] public double FaceM2 { get; init; } = 0.44;
    [Field(Area, 0.05, 5, Label = "Seen from above")] public double PlanM2 { get; init; } = 0.24;
}

/// <summary>Inputs of <see cref="MountCalculators.Weld"/>.</summary>
public sealed record WeldInput : DesignPart
{
    [Field(SmallLength, 0.001, 0.02, Label = "Leg")] public double LegM { get; init; } = 0.004;
    [Field(SmallLength, 0.005, 0.5, Label = "Box, wide")] public double WideM { get; init; } = 0.05;
    [Field(SmallLength, 0.005, 0.5, Label = "high")] public double HighM { get; init; } = 0.05;
    [Field(Force, 0, 100000, Label = "Force")] public double ForceN { get; init; } = 2000;
    [Field(Torque, 0, 10000, Label = "Moment")] public double MomentNm { get; init; } = 400;
    [Ask("Of")] public MountMetal Metal { get; init; } = MountMetal.Steel;
}

/// <summary>Inputs of <see cref="MountCalculators.OfBolt"/>.</summary>
public sealed record BoltInput : DesignPart
{
    [Ask("Size")] public BoltSize Size { get; init; } = BoltSize.M8;
    [Ask("Class")] public BoltClass Grade { get; init; } = BoltClass.C88;
    [Ask("Thread")] public ThreadFinish Thread { get; init; } = ThreadFinish.Dry;
    [Field(Force, 0, 100000, Label = "Pull, with its factor")] public double PullN { get; init; } = 8000;
    [Field(Force, 0, 100000, Label = "Shear, with its factor")] public double ShearN { get; init; } = 5000;
    [Field(SmallLength, 0.0005, 0.05, Label = "Plate")] public double PlateM { get; init; } = 0.003;
    [Field(SmallLength, 0.003, 0.3, Label = "To its edges")] public double EdgeM { get; init; } = 0.018;
    [Ask("Plate of")] public MountMetal Metal { get; init; } = MountMetal.Steel;
}

/// <summary>Inputs of <see cref="MountCalculators.Group"/>.</summary>
public sealed record BoltGroupInput : DesignPart
{
    [Field(Count, 1, 8, Label = "Bolts in a row")] public int InRow { get; init; } = 2;
    [Field(Count, 1, 8, Label = "rows")] public int Rows { get; init; } = 2;
    [Field(SmallLength, 0.01, 1, Label = "Bolts of a row apart")] public double ApartM { get; init; } = 0.15;
    [Field(SmallLength, 0.01, 1, Label = "rows apart")] public double RowsApartM { get; init; } = 0.12;
    [Field(Force, 0, 100000, Label = "Force down")] public double DownN { get; init; } = 16000;
    [Field(SmallLength, 0, 5, Label = "beside the middle by")] public double OffM { get; init; } = 0.425;
}

/// <summary>Inputs of <see cref="MountCalculators.Wood"/>.</summary>
public sealed record WoodInput : DesignPart
{
    [Ask("Lag screw")] public BoltSize Size { get; init; } = BoltSize.M8;
    [Ask("Wood")] public WoodKind Wood { get; init; } = WoodKind.SprucePineFir;
    [Field(SmallLength, 0.01, 0.3, Label = "Thread in the wood")] public double ThreadM { get; init; } = 0.0508;
    [Field(SmallLength, 0.0005, 0.02, Label = "Steel plate on it")] public double PlateM { get; init; } = 0.003;
    [Field(Force, 0, 50000, Label = "Pull, with its factor")] public double PullN { get; init; } = 317.6;
    [Field(Force, 0, 50000, Label = "Shear, with its factor")] public double ShearN { get; init; } = 255;
}

/// <summary>Inputs of <see cref="MountCalculators.Sheet"/>.</summary>
public sealed record SheetInput : DesignPart
{
    [Field(SmallLength, 0.002, 0.013, Label = "Screw")] public double ScrewM { get; init; } = 0.0048;
    [Field(SmallLength, 0.003, 0.03, Label = "Its washer")] public double WasherM { get; init; } = 0.012;
    [Field(SmallLength, 0.0003, 0.006, Label = "Sheet under its head")] public double NearM { get; init; } = 0.0012;
    [Field(SmallLength, 0.0003, 0.006, Label = "Sheet that holds it")] public double FarM { get; init; } = 0.0012;
    [Field(Stress, 5e7, 1e9, Label = "Sheet breaks at")] public double UltimatePa { get; init; } = 270e6;
}

/// <summary>Inputs of <see cref="MountCalculators.Panel"/>.</summary>
public sealed record PanelInput : DesignPart
{
    [Field(Force, 0, 50000, Label = "Pull of a bolt, with its factor")] public double PullN { get; init; } = 2000;
    [Field(SmallLength, 0.0005, 0.04, Label = "Laminate")] public double ThickM { get; init; } = 0.004;
    [Ask("Bolt")] public BoltSize Size { get; init; } = BoltSize.M8;
    [Field(SmallLength, 0.01, 0.5, Label = "Washer or plate, across")] public double PlateM { get; init; } = 0.05;
}

/// <summary>Inputs of <see cref="MountCalculators.OfAnchor"/>.</summary>
public sealed record AnchorInput : DesignPart
{
    [Field(Force, 10, 100000, Label = "Its paper says, pull")] public double PullN { get; init; } = 1000;
    [Field(Force, 10, 100000, Label = "shear")] public double ShearN { get; init; } = 1000;
    [Ask("That figure is")] public AnchorRating Rating { get; init; } = AnchorRating.Recommended;
    [Field(SmallLength, 0.02, 2, Label = "Neighbour at")] public double ApartM { get; init; } = 0.06;
    [Field(SmallLength, 0.02, 2, Label = "wanted")] public double WantsApartM { get; init; } = 0.18;
    [Field(SmallLength, 0.02, 2, Label = "Edge at")] public double EdgeM { get; init; } = 0.05;
    [Field(SmallLength, 0.02, 2, Label = "wanted")] public double WantsEdgeM { get; init; } = 0.09;
    [Field(Force, 0, 100000, Label = "Pull asked, with its factor")] public double AskedPullN { get; init; } = 300;
    [Field(Force, 0, 100000, Label = "Shear asked, with its factor")] public double AskedShearN { get; init; } = 200;
}

/// <summary>Inputs of <see cref="MountCalculators.OnTape"/>.</summary>
public sealed record TapeInput : DesignPart
{
    [Field(Mass, 0.01, 2, Label = "It weighs")] public double MassKg { get; init; } = 0.9;
    [Field(Ratio, 1, 10, Label = "taken times")] public double Times { get; init; } = 1;
}

/// <summary>Inputs of <see cref="MountCalculators.Rail"/>.</summary>
public sealed record SpreaderInput : DesignPart
{
    [Field(Force, 0, 100000, Label = "Load")] public double LoadN { get; init; } = 1200;
    [Field(SmallLength, 0, 3, Label = "From the nearer stud")] public double OffM { get; init; } = 0.187;
    [Field(SmallLength, 0.05, 3, Label = "Studs apart")] public double ApartM { get; init; } = 0.4064;
}

/// <summary>Inputs of <see cref="MountCalculators.Shaking"/>.</summary>
public sealed record ShakingInput : DesignPart
{
    [Field(Mass, 1, 300, Label = "The unit weighs")] public double MassKg { get; init; } = 26;
    [Field(Count, 3, 8, Label = "Feet")] public int Feet { get; init; } = 4;
    [Field(Stiffness, 1000, 1e7, Label = "Each")] public double EachNm { get; init; } = 12000;
    [Field(Fraction, 0.01, 0.3, Label = "Damping")] public double Damping { get; init; } = 0.05;
    [Field(Stiffness, 1000, 1e9, Label = "Bracket", Help = "empty is a slab", Optional = true)] public double? BracketNm { get; init; }
    [Field(Frequency, 5, 400, Label = "Compressor at its lowest")] public double FromHz { get; init; } = 30;
    [Field(Frequency, 5, 400, Label = "at its highest")] public double ToHz { get; init; } = 100;
}

/// <summary>Inputs of <see cref="MountCalculators.Metals"/>.</summary>
public sealed record MetalsInput : DesignPart
{
    [Ask("One")] public TouchingMetal First { get; init; } = TouchingMetal.Stainless304;
    [Ask("on the other")] public TouchingMetal Second { get; init; } = TouchingMetal.Aluminium;
}

/// <summary>Inputs of <see cref="MountCalculators.Concrete"/>.</summary>
public sealed record ConcreteInput : DesignPart
{
    [Field(Length, 0.2, 5, Label = "Length")] public double LengthM { get; init; } = 1;
    [Field(Length, 0.2, 5, Label = "width")] public double WidthM { get; init; } = 0.6;
    [Field(SmallLength, 0.05, 0.5, Label = "thickness")] public double ThickM { get; init; } = 0.1;
    [Ask("Bags of")] public ConcreteBag Bag { get; init; } = ConcreteBag.Kg25;
    [Field(Fraction, 0, 0.3, Label = "Waste")] public double Waste { get; init; } = 0.05;
    [Field(Temperature, 5, 45, Label = "Mean temperature")] public double SetsC { get; init; } = 10;
}

/// <summary>Inputs of <see cref="MountCalculators.OnAxles"/>.</summary>
public sealed record AxlesInput : DesignPart
{
    [Field(Mass, 1, 2000, Label = "Added")] public double MassKg { get; init; } = 45;
    [Field(Length, -3, 15, Label = "Behind the front axle")] public double BehindM { get; init; } = 4.9;
    [Field(Length, 1.5, 10, Label = "Wheelbase")] public double WheelbaseM { get; init; } = 3.665;
    [Field(Length, 0.2, 6, Label = "At height")] public double HighM { get; init; } = 1.2;
    [Field(Mass, 100, 60000, Label = "Vehicle weighs")] public double VehicleKg { get; init; } = 2900;
    [Field(Length, 0.2, 3, Label = "its centre of gravity at")] public double CentreM { get; init; } = 0.85;
    [Field(Length, 1, 3, Label = "Track")] public double TrackM { get; init; } = 1.75;
}

/// <summary>Inputs of <see cref="MountCalculators.Ramp"/>.</summary>
public sealed record RampInput : DesignPart
{
    [Field(Length, 0.05, 6, Label = "Low point behind the rear axle")] public double BehindM { get; init; } = 1.2;
    [Field(SmallLength, 0, 2, Label = "above the road")] public double HighM { get; init; } = 0.45;
    [Field(SmallLength, 0.1, 1, Label = "Radius of the wheels")] public double WheelM { get; init; } = 0.36;
    [Field(SmallLength, 0.01, 2, Label = "Low point between the axles")] public double BetweenM { get; init; } = 0.2;
    [Field(Length, 0.1, 10, Label = "to the front axle")] public double FrontM { get; init; } = 1.8;
    [Field(Length, 0.1, 10, Label = "to the rear axle")] public double RearM { get; init; } = 1.8;
}

/// <summary>Inputs of <see cref="MountCalculators.Heeled"/>.</summary>
public sealed record HeeledInput : DesignPart
{
    [Field(Length, -3, 6, Label = "Hole above the water")] public double HighM { get; init; } = 0.45;
    [Field(Length, -6, 6, Label = "off the middle line")] public double OffM { get; init; } = 1.5;
    [Field(Degrees, 0, 45, Label = "Heeled by")] public double HeelDeg { get; init; } = 15;
    [Field(Mass, 1, 500, Label = "Unit weighs")] public double MassKg { get; init; } = 26;
    [Field(Length, 0, 6, Label = "Unit off the middle line")] public double UnitOffM { get; init; } = 1.4;
    [Field(Mass, 100, 200000, Label = "Boat weighs")] public double BoatKg { get; init; } = 4200;
    [Field(Length, 0.1, 5, Label = "Metacentric height")] public double MetacentreM { get; init; } = 0.95;
    [Field(Degrees, 0, 60, Label = "Rolls by")] public double RollDeg { get; init; } = 20;
    [Field(Seconds, 1, 30, Label = "in")] public double RollS { get; init; } = 5;
    [Field(Length, 0, 30, Label = "Unit above the axis of the roll")] public double AboveM { get; init; } = 3;
}

/// <summary>Inputs of <see cref="MountCalculators.Wind"/>.</summary>
public sealed record WindInput : DesignPart
{
    [Field(Speed, 0, 80, Label = "Air against it")] public double SpeedMs { get; init; } = 30.56;
    [Field(Area, 0.01, 10, Label = "Area")] public double AreaM2 { get; init; } = 0.44;
    [Field(Ratio, 0.3, 2.2, Label = "Shape", Help = "1.2 a box side on, 1.05 a cube, 0.8 a rounded shroud")] public double Shape { get; init; } = 1.2;
    [Field(Length, -400, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(Temperature, -40, 60, Label = "Air")] public double AirC { get; init; } = 15;
}

/// <summary>Inputs of <see cref="MountCalculators.Bars"/>.</summary>
public sealed record BarsInput : DesignPart
{
    [Field(Length, 0.3, 12, Label = "Bars are")] public double BarM { get; init; } = 3;
    [Field(SmallLength, 0, 0.01, Label = "A cut takes")] public double KerfM { get; init; } = 0.003;
    [Field(Length, 0.01, 12, Label = "First piece")] public double FirstM { get; init; } = 1.2;
    [Field(Count, 1, 20, Label = "of them")] public int Firsts { get; init; } = 2;
    [Field(Length, 0.01, 12, Label = "Second piece")] public double SecondM { get; init; } = 0.9;
    [Field(Count, 0, 20, Label = "of them")] public int Seconds { get; init; } = 2;
    [Field(Length, 0.01, 12, Label = "Third piece")] public double ThirdM { get; init; } = 0.65;
    [Field(Count, 0, 20, Label = "of them")] public int Thirds { get; init; } = 2;
}

/// <summary>Inputs of <see cref="MountCalculators.Feet"/>.</summary>
public sealed record FourFeetInput : DesignPart
{
    [Field(Mass, 1, 300, Label = "The unit weighs")] public double MassKg { get; init; } = 26;
    [Field(SmallLength, 0.05, 2, Label = "Feet apart fore and aft")] public double DeepM { get; init; } = 0.31;
    [Field(SmallLength, 0.05, 2, Label = "Feet apart sideways")] public double WideM { get; init; } = 0.54;
    [Field(SmallLength, 0, 2, Label = "Centre of gravity above them")] public double HighM { get; init; } = 0.3;
    [Field(Ratio, -5, 5, Label = "Pulled ahead, g")] public double AheadG { get; init; } = 1;
    [Field(Ratio, -5, 5, Label = "to its left, g")] public double LeftG { get; init; }
    [Field(Ratio, -10, 10, Label = "down, g")] public double DownG { get; init; } = 1;
}

/// <summary>Inputs of <see cref="MountCalculators.Slots"/>.</summary>
public sealed record SlotInput : DesignPart
{
    [Field(SmallLength, 0.05, 1.5, Label = "Feet apart across the unit")] public double ApartM { get; init; } = 0.31;
    [Field(SmallLength, 0, 2, Label = "Free behind its back")] public double BehindM { get; init; } = 0.12;
    [Field(SmallLength, 0, 0.5, Label = "Back of the unit behind its rear feet")] public double BackM { get; init; } = 0.02;
    [Field(SmallLength, 0, 2, Label = "Slots from the wall")] public double FromM { get; init; } = 0.05;
    [Field(SmallLength, 0.05, 3, Label = "to")] public double ToM { get; init; } = 0.48;
}

/// <summary>Inputs of <see cref="MountCalculators.Studs"/>.</summary>
public sealed record StudsInput : DesignPart
{
    [Field(SmallLength, 0, 10, Label = "First column of the bracket")] public double FirstM { get; init; } = 1.00;
    [Field(SmallLength, 0, 10, Label = "second column")] public double SecondM { get; init; } = 1.54;
    [Field(SmallLength, 0, 10, Label = "First stud, its middle")] public double StudM { get; init; }
    [Field(SmallLength, 0.05, 3, Label = "then one every")] public double EveryM { get; init; } = 0.4064;
    [Field(SmallLength, 0.01, 0.3, Label = "Width of one")] public double WideM { get; init; } = 0.038;
    [Field(SmallLength, 0.003, 0.05, Label = "A screw keeps from its edge")] public double EdgeM { get; init; } = 0.012;
    [Field(SmallLength, 0, 2, Label = "The bracket may move by")] public double ShiftM { get; init; } = 0.2;
}

/// <summary>Inputs of <see cref="MountCalculators.Mitre"/>.</summary>
public sealed record MitreInput : DesignPart
{
    [Field(SmallLength, 0.02, 3, Label = "Strut meets the arm at")] public double OutM { get; init; } = 0.40;
    [Field(SmallLength, 0.02, 3, Label = "Strut down the wall")] public double DownM { get; init; } = 0.35;
    [Field(SmallLength, 0.003, 0.2, Label = "Strut, across")] public double HighM { get; init; } = 0.025;
}

/// <summary>Inputs of <see cref="MountCalculators.Bar"/>.</summary>
public sealed record TowBarInput : DesignPart
{
    [Field(Mass, 1, 300, Label = "Unit and shelf")] public double MassKg { get; init; } = 30;
    [Field(SmallLength, 0.05, 2, Label = "behind the pin")] public double PinM { get; init; } = 0.45;
    [Field(SmallLength, 0.01, 2, Label = "above the bar")] public double HighM { get; init; } = 0.25;
    [Field(Ratio, 1, 10, Label = "Down, g")] public double DownG { get; init; } = 3;
    [Field(Ratio, 0, 5, Label = "Cornering, g")] public double CornerG { get; init; } = 1;
}

/// <summary>What carries a unit, for the Bench and the API.</summary>
public static class MountCalculators
{
    /// <summary>A profile as a cantilever.</summary>
    [Calculator("profile", "Profile under a load", "Whether an arm is strong and stiff enough",
        CitationIds = [nameof(Citations.Statics), nameof(Citations.Tubes)])]
    public static CalculationResult OfProfile(ProfileInput i)
    {
        var (p, metal) = (ProfileFigures.Of(i.Profile), MetalFigures.Of(i.Metal));
        var moment = i.LoadN * i.LengthM;
        var stress = i.Factor * 1000 * moment / p.Section.SxMm3;
        return new ResultBuilder()
            .Step("I", "Second moment, mm⁴", "Σ ±(b·h³/12 + b·h·y²), tubes by EN 10219", $"{Calls.Name(i.Profile)}", p.Section.IxMm4, Number,
                Citations.Tubes)
            .Step("M", "Moment at the root", "P·L", $"{i.LoadN} N·{i.LengthM} m", moment, Torque, Citations.Statics)
            .Step("σ", "Bending stress, factor in it", "γ·M/S", $"S {p.Section.SxMm3:0.#} mm³", 1e6 * stress, Stress, Citations.Statics)
            .Step("U", "Used of its yield", "σ/(f_y/1.1)", $"{metal.YieldMPa} MPa", stress * Beam.YieldPart / metal.YieldMPa, Fraction, Citations.MountScheme)
            .Step("δ", "Its end gives", "P·L³/(3·E·I)", $"E {metal.ElasticGPa} GPa",
                Beam.TipM([new(i.LoadN, i.LengthM)], i.LengthM, metal.ElasticGPa, p.Section.IxMm4), SmallLength, Citations.Statics)
            .Done();
    }

    /// <summary>Everything that pulls at a mount.</summary>
    [Calculator("load-cases", "What pulls at a mount", "Every case that a mount is judged in: weight, shock, braking, wind, roll, with its factor",
        CitationIds = [nameof(Citations.MountCases), nameof(Citations.Trade)])]
    public static CalculationResult Cases(LoadCasesInput i)
    {
        var bear = new MustBearDesign { Times = i.Times, Unpaved = i.Unpaved, ShockG = i.ShockG, DrivenMs = i.DrivenMs, GustMs = i.GustMs };
        var road = new RoadDesign { WheelbaseM = i.WheelbaseM, BehindM = i.BehindM };
        var result = new ResultBuilder();
        foreach (var c in LoadCases.Of(i.MassKg, i.Base, i.Side, i.Roof, bear, road, i.FaceM2, i.PlanM2,
            WindLoad.DensityKgM3(0, MountStation.AirC)))
            result.Step("F", c.Name, "factor·√(Fx² + Fy² + Fz²)",
                $"{c.Factor:0.0#}, {c.Force.X:0} out, {c.Force.Y:0} across, {-c.Force.Z:0} N down", c.FactoredN, Force,
                Citations.MountCases);
        return result.Done();
    }

    /// <summary>Two arms with struts.</summary>
    [Calculator("wall-bracket", "Bracket of two arms", "What a braced bracket pulls out of a wall and presses its struts with",
        CitationIds = [nameof(Citations.Statics), nameof(Citations.Struts)])]
    public static CalculationResult Bracket(BracketInput i)
    {
        var foot = i.Times * i.MassKg * Gravity.Standard / 4;
        var arm = BracedArm.Of([new(foot, i.RearM), new(foot, i.FrontM)], i.OutM, i.DownM);
        var steel = MetalFigures.Of(MountMetal.Steel);
        var section = ProfileFigures.Of(i.Strut).Section;
        var column = Column.Of(section, arm.StrutM, steel.ElasticGPa, steel.YieldMPa);
        return new ResultBuilder()
            .Step("P", "Each foot", "n·m·g/4", $"{i.Times}·{i.MassKg} kg", foot, Force, Citations.Statics)
            .Step("H", "Pull out of the wall, each arm", "Σ P·a/d", $"d {i.DownM} m", arm.PullN, Force, Citations.Statics)
            .Step("C", "Strut, pressed", "Σ P·a·√(s² + d²)/(s·d)", $"{arm.StrutM:0.####} m", arm.StrutN, Force, Citations.Statics)
            .Step("M", "Arm, most", "over the strut or between", $"", arm.MomentNm, Torque, Citations.Statics)
            .Step("λ", "Slenderness of the strut", "L/r", $"r {section.RMinMm:0.##} mm", column.Slenderness, Number, Citations.Struts)
            .Step("R", "Strut bears", "A·f_cr/γ", $"{column.StressMPa:0.#} MPa, γ {column.Part:0.##}", column.BearsN(section), Force, Citations.Struts)
            .Done();
    }

    /// <summary>A weld round a box.</summary>
    [Calculator("fillet-weld", "Fillet weld round a tube", "Whether a weld is thick and long enough", CitationIds = [nameof(Citations.Welds)])]
    public static CalculationResult Weld(WeldInput i)
    {
        var stress = WeldStress.Round(1000 * i.LegM, 1000 * i.WideM, 1000 * i.HighM, i.ForceN, i.MomentNm);
        var bears = WeldStress.BearsMPa(MetalFigures.Of(i.Metal));
        return new ResultBuilder()
            .Step("τ", "From the force", "V/(ℓ·a)", $"a {1000 * i.LegM / Math.Sqrt(2):0.##} mm", 1e6 * stress.ShearMPa, Stress, Citations.Welds)
            .Step("σ", "From the moment", "M·c/(I_u·a)", $"", 1e6 * stress.BendingMPa, Stress, Citations.Welds)
            .Step("R", "Both together", "√(τ² + σ²)", $"", 1e6 * stress.TotalMPa, Stress, Citations.Welds)
            .Step("R_d", "It bears", "f_u/(√3·β_w·1.25)", $"{Calls.Name(i.Metal)}", 1e6 * bears, Stress, Citations.Welds)
            .Step("U", "Used", "R/R_d", $"", stress.TotalMPa / bears, Fraction, Citations.MountScheme).Done();
    }

    /// <summary>A bolt.</summary>
    [Calculator("bolt", "Bolt", "Whether a bolt and its plate bear, and how tight it is made", CitationIds = [nameof(Citations.Bolts),
        nameof(Citations.Trade)])]
    public static CalculationResult OfBolt(BoltInput i)
    {
        var (ultimate, proof, share) = Bolt.Strength(i.Grade);
        var (mm, area) = (Bolt.Mm(i.Size), Bolt.StressMm2(Bolt.Mm(i.Size), Bolt.PitchMm(i.Size)));
        var (pull, shear) = (Bolt.TensionN(ultimate, area), Bolt.ShearN(ultimate, share, area));
        var preload = Bolt.PreloadN(proof, area);
        return new ResultBuilder()
            .Step("A_s", "Stress area, mm²", "π/4·(d − 0.9382·P)²", $"{Calls.Name(i.Size)}", area, Number, Citations.Bolts)
            .Step("F_t", "Bears, pull", "0.9·f_ub·A_s/1.25", $"{ultimate} MPa", pull, Force, Citations.Bolts)
            .Step("F_v", "Bears, shear", "α_v·f_ub·A_s/1.25", $"α_v {share}", shear, Force, Citations.Bolts)
            .Step("U", "Used", "V/F_v + T/(1.4·F_t), T/F_t", $"{i.ShearN} and {i.PullN} N", Bolt.Used(i.ShearN, i.PullN, shear, pull), Fraction,
                Citations.Bolts)
            .Step("F_b", "Plate bears beside it", "k_1·α_b·f_u·d·t/1.25", $"{1000 * i.PlateM:0.##} mm, edges {1000 * i.EdgeM:0.#} mm",
                Math.Max(0, Bolt.BearingN(mm, Bolt.HoleMm(i.Size), 1000 * i.PlateM, MetalFigures.Of(i.Metal).UltimateMPa, ultimate, 1000 * i.EdgeM,
                    1000 * i.EdgeM)), Force, Citations.Bolts)
            .Step("T", "Tightened with", "K·d·0.75·proof·A_s", $"K {Bolt.NutFactor(i.Thread)}", Bolt.TorqueNm(preload, mm, Bolt.NutFactor(i.Thread)),
                Torque,
                Citations.Trade)
            .Done();
    }

    /// <summary>A group of bolts.</summary>
    [Calculator("bolt-group", "Group of bolts", "Which bolt of a plate is worst", CitationIds = [nameof(Citations.Statics)])]
    public static CalculationResult Group(BoltGroupInput i)
    {
        var bolts = Enumerable.Range(0, i.Rows).SelectMany(r => Enumerable.Range(0, i.InRow).Select(c => new BoltPlace(c * i.ApartM, r * i.RowsApartM)))
            .ToList();
        var middle = new BoltPlace(bolts.Average(b => b.X) + i.OffM, bolts.Average(b => b.Y));
        var worst = BoltGroup.Shear(bolts, 0, -i.DownN, middle).Max(f => Math.Sqrt(f.X * f.X + f.Y * f.Y));
        return new ResultBuilder().Step("V", "Worst bolt, shear", "F/n + M·r/Σr²", $"{bolts.Count} bolts, {i.DownN * i.OffM:0.#} N·m", worst, Force,
            Citations.Statics).Done();
    }

    /// <summary>A lag screw.</summary>
    [Calculator("lag-screw", "Lag screw in wood", "What a screw in a stud bears, pulled and sheared", CitationIds = [nameof(Citations.WoodScrews)])]
    public static CalculationResult Wood(WoodInput i)
    {
        var (inch, gravity) = (Bolt.Mm(i.Size) / 25.4, WoodFastener.Gravity(i.Wood));
        var pull = WoodFastener.LagPullN(gravity, inch, i.ThreadM / 0.0254);
        var (lbf, mode) = WoodFastener.Lateral(inch, WoodFastener.LagRoot(inch), i.ThreadM / 0.0254, i.PlateM / 0.0254, gravity, true,
            inch < 0.28 ? 70000 : inch < 0.35 ? 60000 : 45000);
        var shear = WoodFastener.ShearN(lbf);
        var both = Math.Sqrt(i.PullN * i.PullN + i.ShearN * i.ShearN);
        return new ResultBuilder()
            .Step("W", "Bears, pull", "2.158·0.8·1800·G^1.5·D^0.75·p", $"G {gravity}, D {inch:0.###} in", pull, Force, Citations.WoodScrews)
            .Step("Z", "Bears, shear", "least of six ways of giving way", $"way {mode}", shear, Force, Citations.WoodScrews)
            .Step("U", "Used", "E·(W·cos²α + Z·sin²α)/(W·Z)", $"{i.PullN} and {i.ShearN} N",
                both / WoodFastener.Together(pull, shear, Math.Max(i.PullN, 1e-9), i.ShearN), Fraction, Citations.WoodScrews)
            .Done();
    }

    /// <summary>A screw in sheet.</summary>
    [Calculator("sheet-screw", "Screw in sheet", "What a screw in thin metal bears", CitationIds = [nameof(Citations.SheetScrews)])]
    public static CalculationResult Sheet(SheetInput i)
    {
        var (near, far, mm, ultimate) = (1000 * i.NearM, 1000 * i.FarM, 1000 * i.ScrewM, i.UltimatePa / 1e6);
        return new ResultBuilder()
            .Step("P_out", "Bears, pulled out", "0.5·0.85·t_2·d·f_u", $"{far} mm", SheetFastener.Design(SheetFastener.PullOutN(far, mm, ultimate)), Force,
                Citations.SheetScrews)
            .Step("P_over", "Bears, pulled over its head", "0.5·1.5·t_1·d_w·f_u", $"{near} mm",
                SheetFastener.Design(SheetFastener.PullOverN(near, 1000 * i.WasherM, ultimate)), Force, Citations.SheetScrews)
            .Step("P_v", "Bears, shear", "0.5·least of tilting and crushing", $"",
                SheetFastener.Design(SheetFastener.ShearN(near, far, mm, ultimate)), Force, Citations.SheetScrews).Done();
    }

    /// <summary>A bolt through laminate.</summary>
    [Calculator("laminate-bolt", "Bolt through laminate", "How large its backing plate must be", CitationIds = [nameof(Citations.Laminates)])]
    public static CalculationResult Panel(PanelInput i) => new ResultBuilder()
        .Step("R", "Bears, pulled through", "τ·4·b·t/3", $"{Laminate.ShearMPa} MPa",
            Laminate.PullThroughN(4000 * i.PlateM, 1000 * i.ThickM) / Laminate.Part, Force, Citations.Laminates)
        .Step("b", "Backing plate, at least", "3·F/(4·τ·t), five bolts", $"{i.PullN} N",
            Laminate.PlateMm(i.PullN, 1000 * i.ThickM, Bolt.Mm(i.Size)) / 1000, SmallLength, Citations.Laminates).Done();

    /// <summary>An anchor.</summary>
    [Calculator("anchor", "Anchor in masonry", "What is left of an anchor's rating beside a neighbour and an edge",
        CitationIds = [nameof(Citations.AnchorPaper)])]
    public static CalculationResult OfAnchor(AnchorInput i)
    {
        var left = MasonryAnchor.Spacing(i.ApartM, i.WantsApartM) * MasonryAnchor.Edge(i.EdgeM, i.WantsEdgeM);
        var (pull, shear) = (left * MasonryAnchor.Design(i.PullN, i.Rating), left * MasonryAnchor.Design(i.ShearN, i.Rating));
        return new ResultBuilder()
            .Step("ψ", "Left by neighbour and edge", "(1 + s/s_cr)/2·(0.7 + 0.3·c/c_cr)·(c + c_cr)/(2·c_cr)", $"", left, Fraction, Citations.AnchorPaper)
            .Step("N_Rd", "Bears, pull", "ψ·1.4·N_rec", $"{Calls.Name(i.Rating)}", pull, Force, Citations.AnchorPaper)
            .Step("U", "Used", "(N/N_Rd)^1.5 + (V/V_Rd)^1.5", $"{i.AskedPullN} and {i.AskedShearN} N",
                MasonryAnchor.Used(i.AskedPullN / pull, i.AskedShearN / shear), Fraction, Citations.AnchorPaper).Done();
    }

    /// <summary>Bonding tape.</summary>
    [Calculator("bond-tape", "Bonding tape", "How much tape holds a light thing for good", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult OnTape(TapeInput i) => new ResultBuilder()
        .Step("A", "Tape", "n·m·g/1.7 kPa", $"{i.MassKg} kg", BondTape.AreaM2(i.MassKg, i.Times), Area, Citations.Trade).Done();

    /// <summary>A rail across studs.</summary>
    [Calculator("spreader-rail", "Rail across two studs", "What each stud takes of a bracket between them", CitationIds = [nameof(Citations.Statics)])]
    public static CalculationResult Rail(SpreaderInput i)
    {
        if (i.OffM > i.ApartM)
            throw new InputException("offM", FormattableString.Invariant($"{i.OffM}"), "The load stands beyond the second stud.");
        var rail = SpreaderRail.Of(i.LoadN, i.OffM, i.ApartM);
        return new ResultBuilder()
            .Step("R_1", "Nearer stud", "P·(p − a)/p", $"{i.LoadN} N", rail.NearN, Force, Citations.Statics)
            .Step("R_2", "Other stud", "P·a/p", $"{i.OffM} m", rail.FarN, Force, Citations.Statics)
            .Step("M", "Moment in the rail", "P·a·(p − a)/p", $"{i.ApartM} m", rail.MomentNm, Torque, Citations.Statics).Done();
    }

    /// <summary>Rubber feet.</summary>
    [Calculator("rubber-feet", "Rubber feet", "Whether the unit hums on its feet", CitationIds = [nameof(Citations.Shaking)])]
    public static CalculationResult Shaking(ShakingInput i)
    {
        var v = Vibration.Of(i.MassKg, i.Feet, i.EachNm, i.Damping, i.BracketNm ?? double.PositiveInfinity, i.FromHz, Math.Max(i.FromHz, i.ToHz));
        return new ResultBuilder()
            .Step("f_n", "Own frequency", "√(k/m)/2π", $"{i.Feet} feet", v.OwnHz, Frequency, Citations.Shaking)
            .Step("δ", "Feet give", "m·g/(n·k)", $"{i.MassKg} kg", v.SagM, SmallLength, Citations.Shaking)
            .Step("r", "Lowest speed over it", "f/f_n", $"{i.FromHz} Hz", v.LowestRatio, Ratio, Citations.Shaking)
            .Step("T", "Passes at the lowest speed", "√((1 + (2ζr)²)/((1 − r²)² + (2ζr)²))", $"", v.PassedAtLowest, Fraction, Citations.Shaking)
            .Step("T_2", "Passes at the highest speed", "the same", $"{i.ToHz} Hz", v.PassedAtHighest, Fraction, Citations.Shaking).Done();
    }

    /// <summary>Two metals.</summary>
    [Calculator("metals", "Two metals in contact", "Which of them is eaten", CitationIds = [nameof(Citations.SeaWater)])]
    public static CalculationResult Metals(MetalsInput i) => GalvanicPair.Of(i.First, i.Second) is not { } pair
        ? new ResultBuilder().Words("pair", "They", "do not touch as metals").Done()
        : new ResultBuilder().Step("ΔE", "Apart", "|E_1 − E_2|", $"{GalvanicPair.Potential(i.First)} and {GalvanicPair.Potential(i.Second)} V", pair.Volts,
            Voltage,
            Citations.SeaWater).Words("goes", "Eaten", Calls.Name(pair.FirstGoes ? i.First : i.Second)).Done();

    /// <summary>A slab.</summary>
    [Calculator("slab", "Concrete slab", "How many bags, and how long before it is loaded", CitationIds = [nameof(Citations.Concrete)])]
    public static CalculationResult Concrete(ConcreteInput i)
    {
        var slab = Slab.Of(i.LengthM, i.WidthM, i.ThickM, i.Bag, i.Waste, i.SetsC);
        return new ResultBuilder()
            .Step("V", "Concrete", "L·W·t", $"{i.LengthM}·{i.WidthM}·{i.ThickM}", slab.VolumeM3, Volume, Citations.Geometry)
            .Step("n", "Bags", "⌈V·(1 + waste)/yield⌉", $"{Slab.YieldM3(i.Bag):0.######} m³ each", slab.Bags, Count, Citations.Concrete)
            .Step("m", "It weighs", "2300·V", $"", slab.MassKg, Mass, Citations.Concrete)
            .Step("t", "Wait, days", "7·30/(T + 10)", $"{i.SetsC} °C", slab.WaitDays, Number, Citations.Concrete)
            .Step("f", "Strength then", "t/(4 + 0.85·t) at 20 °C", $"a week", slab.Strength, Fraction, Citations.Concrete).Done();
    }

    /// <summary>Axles.</summary>
    [Calculator("axles", "Weight on axles", "What a unit does to the axles and to tipping", CitationIds = [nameof(Citations.Statics)])]
    public static CalculationResult OnAxles(AxlesInput i)
    {
        var axles = VehicleMass.Of(i.MassKg, i.BehindM, i.WheelbaseM);
        var high = VehicleMass.HighM(i.VehicleKg, i.CentreM, i.MassKg, i.HighM);
        return new ResultBuilder()
            .Step("ΔF", "Front axle", "m·(wb − d)/wb", $"{i.MassKg} kg", axles.FrontKg, Mass, Citations.Statics)
            .Step("ΔR", "Rear axle", "m·d/wb", $"{i.BehindM} of {i.WheelbaseM} m", axles.RearKg, Mass, Citations.Statics)
            .Step("h", "Centre of gravity", "Σ m·h/Σ m", $"", high, Length, Citations.Statics)
            .Step("a", "Tips at, g", "track/(2·h)", $"{i.TrackM} m", VehicleMass.TipsG(i.TrackM, high), Ratio, Citations.Statics).Done();
    }

    /// <summary>Ramps.</summary>
    [Calculator("ramp", "Ramps and crests", "What a low point clears", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Ramp(RampInput i) => new ResultBuilder()
        .Step("α", "Ramp behind", "asin(R/D) − atan((R − h)/e)", $"{i.BehindM} m, {i.HighM} m", DrivingEnvelope.DepartureDeg(i.BehindM, i.HighM, i.WheelM),
            Degrees, Citations.Geometry)
        .Step("β", "Crest between the axles", "atan(h/a) + atan(h/b)", $"{i.BetweenM} m", DrivingEnvelope.BreakOverDeg(i.BetweenM, i.FrontM, i.RearM), Degrees,
            Citations.Geometry).Done();

    /// <summary>A boat.</summary>
    [Calculator("heeled", "Unit on a boat", "Where a hull hole is when heeled, how the boat lists, how the roll pulls",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Statics)])]
    public static CalculationResult Heeled(HeeledInput i)
    {
        var (sideways, down) = BoatPlacement.Roll(i.RollDeg, i.RollS, i.AboveM, i.UnitOffM);
        return new ResultBuilder()
            .Step("z", "Hole above the water, heeled", "z·cos φ − y·sin φ", $"{i.HeelDeg}°", BoatPlacement.AboveWaterM(i.HighM, i.OffM, i.HeelDeg),
                Length,
                Citations.Geometry)
            .Step("φ", "Boat lists by", "atan(m·y/(Δ·GM))", $"{i.MassKg} kg", BoatPlacement.ListDeg(i.MassKg, i.UnitOffM, i.BoatKg, i.MetacentreM), Degrees,
                Citations.Statics)
            .Step("a_y", "Sideways in the roll, g", "(g·sin φ + (2π/T)²·φ·z)/g", $"{i.RollDeg}°, {i.RollS} s", sideways / Gravity.Standard, Ratio,
                Citations.Statics)
            .Step("a_z", "Down in the roll, g", "(g·cos φ + (2π/T)²·φ·y)/g", $"", down / Gravity.Standard, Ratio, Citations.Statics).Done();
    }

    /// <summary>Wind.</summary>
    [Calculator("wind-load", "Wind on a unit", "What wind or driving pushes at it with", CitationIds = [nameof(Citations.Drag)])]
    public static CalculationResult Wind(WindInput i)
    {
        var density = WindLoad.DensityKgM3(i.ElevationM, i.AirC);
        return new ResultBuilder()
            .Step("ρ", "Air", "p(z)/(287.055·T)", $"{i.ElevationM} m, {i.AirC} °C", density, Density, Citations.Atmosphere)
            .Step("F", "Force", "½·ρ·v²·C_d·A", $"{i.SpeedMs} m/s, {i.AreaM2} m²", WindLoad.ForceN(density, i.SpeedMs, i.Shape, i.AreaM2), Force,
                Citations.Drag)
            .Done();
    }

    /// <summary>Bars.</summary>
    [Calculator("stock-cutting", "Bars cut up", "The fewest bars that give all pieces", CitationIds = [nameof(Citations.Arithmetic)])]
    public static CalculationResult Bars(BarsInput i)
    {
        List<double> pieces = [.. Enumerable.Repeat(1000 * i.FirstM, i.Firsts), .. Enumerable.Repeat(1000 * i.SecondM, i.Seconds),
            .. Enumerable.Repeat(1000 * i.ThirdM, i.Thirds)];
        var plan = StockCutting.Solve(pieces, 1000 * i.BarM, 1000 * i.KerfM);
        var result = new ResultBuilder().Step("n", "Bars", "branch and bound over all pieces", $"{pieces.Count} pieces", plan.Bars.Count, Count,
            Citations.Arithmetic);
        foreach (var (bar, index) in plan.Bars.Select((b, k) => (b, k + 1)))
            result.Words($"bar {index}", $"Bar {index}", FormattableString.Invariant($"{string.Join(", ", bar.PiecesMm)} mm, {bar.LeftMm:0} left"));
        return result.Done();
    }

    /// <summary>Feet and slots.</summary>
    [Calculator("slot-fit", "Feet in the slots of a bracket", "Whether the unit's feet fall into the slots", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Slots(SlotInput i)
    {
        var fit = FeetFit.Of(i.ApartM, i.BehindM, i.BackM, i.FromM, i.ToM);
        return new ResultBuilder()
            .Step("lo", "Rear feet, nearest", "max(slot, behind + back)", $"{i.FromM}, {i.BehindM} + {i.BackM}", fit.FromM, SmallLength, Citations.Geometry)
            .Step("hi", "Rear feet, furthest", "slot's end − feet apart", $"{i.ToM} − {i.ApartM}", fit.ToM, SmallLength, Citations.Geometry)
            .Step("s", "Short by", "lo − hi", $"none where negative", fit.MissingM, SmallLength, Citations.Geometry).Done();
    }

    /// <summary>Columns and studs.</summary>
    [Calculator("stud-fit", "Bracket on studs", "How far to move a bracket so that its screws meet studs", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Studs(StudsInput i)
    {
        var far = Math.Max(i.FirstM, i.SecondM) + i.ShiftM + i.EveryM;
        List<double> studs = [];
        for (var x = i.StudM; x <= far; x += i.EveryM)
            studs.Add(x);
        if (studs.Count == 0)
            throw new InputException("studM", FormattableString.Invariant($"{i.StudM}"), "The first stud stands beyond the bracket.");
        var fit = StudFit.Of([i.FirstM, i.SecondM], studs, Math.Max(0.0005, i.WideM / 2 - i.EdgeM), -i.ShiftM, i.ShiftM);
        return new ResultBuilder()
            .Step("n", "Columns that land", "|c + v − x| ≤ w/2 − e", $"{studs.Count} studs", fit.Landed, Count, Citations.Geometry)
            .Step("v", "Move it right by", "least move with most landings", $"within {i.ShiftM} m", fit.ShiftM, SmallLength, Citations.Geometry).Done();
    }

    /// <summary>Cuts of a strut.</summary>
    [Calculator("strut-cut", "Cuts of a strut", "How long a strut is cut and at which angles", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Mitre(MitreInput i)
    {
        var slope = Math.Atan2(i.DownM, i.OutM) * 180 / Math.PI;
        var (longer, shorter) = CutList.Mitred(Math.Sqrt(i.OutM * i.OutM + i.DownM * i.DownM), i.HighM, 90 - slope, slope);
        return new ResultBuilder()
            .Step("φ", "Cut at the arm, from square", "90° − atan(d/s)", $"{i.DownM}/{i.OutM}", 90 - slope, Degrees, Citations.Geometry)
            .Step("β", "Cut at the wall, from square", "atan(d/s)", $"{i.DownM}/{i.OutM}", slope, Degrees, Citations.Geometry)
            .Step("L_l", "Long point to long point", "L + h/2·(tan φ + tan β)", $"{i.HighM} m", longer, SmallLength, Citations.Geometry)
            .Step("L_s", "Short point to short point", "L − h/2·(tan φ + tan β)", $"{i.HighM} m", shorter, SmallLength, Citations.Geometry).Done();
    }

    /// <summary>The bar of a tow-bar shelf.</summary>
    [Calculator("tow-bar", "Shelf on a tow bar", "How a 50.8 mm bar bends and twists under a unit", CitationIds = [nameof(Citations.Statics)])]
    public static CalculationResult Bar(TowBarInput i)
    {
        var weight = i.MassKg * Gravity.Standard;
        var bar = MountFrame.ReceiverBar;
        var (bending, twist) = (1000 * i.DownG * weight * i.PinM / bar.SxMm3, MountFrame.Twisted(i.CornerG * weight * i.HighM));
        var both = MountFrame.Equivalent(bending, twist);
        return new ResultBuilder()
            .Step("M", "Moment at the receiver", "n·m·g·d", $"{i.DownG} g, {i.PinM} m", i.DownG * weight * i.PinM, Torque, Citations.Statics)
            .Step("T", "Twist", "n·m·g·h", $"{i.CornerG} g, {i.HighM} m", i.CornerG * weight * i.HighM, Torque, Citations.Statics)
            .Step("σ", "Both together", "√((M/S)² + 3·(T/2·A·t)²)", $"S {bar.SxMm3:0} mm³", 1e6 * both, Stress, Citations.Statics)
            .Step("U", "Used of its yield", "1.1·σ/f_y", $"mild steel", both * Beam.YieldPart / MetalFigures.Of(MountMetal.Steel).YieldMPa, Fraction,
                Citations.MountScheme).Done();
    }

    /// <summary>A unit on its feet.</summary>
    [Calculator("four-feet", "Unit on four feet", "Which foot lifts when it is pulled", CitationIds = [nameof(Citations.Statics)])]
    public static CalculationResult Feet(FourFeetInput i)
    {
        var weight = i.MassKg * Gravity.Standard;
        var feet = FourFeet.Of(new ForceVector(i.AheadG * weight, i.LeftG * weight, -i.DownG * weight), i.DeepM, i.WideM, 0, 0, i.HighM);
        return new ResultBuilder()
            .Step("N_1", "Front left presses", "−F_z/4 − M_x·y/b_y² + M_y·x/b_x²", $"{i.MassKg} kg", feet.FrontLeft, Force, Citations.Statics)
            .Step("N_2", "Front right presses", "the same", $"", feet.FrontRight, Force, Citations.Statics)
            .Step("N_3", "Rear left presses", "the same", $"", feet.RearLeft, Force, Citations.Statics)
            .Step("N_4", "Rear right presses", "the same", $"", feet.RearRight, Force, Citations.Statics)
            .Step("V", "Shear, each", "√(F_x² + F_y²)/4", $"", feet.ShearN, Force, Citations.Statics).Done();
    }
}
