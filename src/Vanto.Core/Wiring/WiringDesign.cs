using Vanto.Core.Quantities;

namespace Vanto.Core.Wiring;

/// <summary>How large a wire is taken.</summary>
public enum WireSchool { [Called("the smallest the rules allow")] Least, [Called("one size up")] OneUp }

/// <summary>How a branch circuit's conductors lie.</summary>
public enum WireWay { [Called("single wires in a conduit")] Conduit, [Called("sheathed cable")] Sheathed, [Called("flexible cable")] Flexible }

/// <summary>Protection of a circuit as it is or will be.</summary>
public enum DeviceKind { [Called("breaker")] Breaker, [Called("breaker marked for air conditioners")] HacrBreaker, [Called("fuse")] Fuse }

/// <summary>Residual-current protection.</summary>
public enum ResidualKind
{
    [Called("as the rules ask")] AsAsked, [Called("none")] None, [Called("4 to 6 mA for people")] People, [Called("type AC, 30 mA")] TypeAc,
    [Called("type A, 30 mA")] TypeA, [Called("type F or B, 30 mA")] TypeFb, [Called("30 mA at the inlet of a boat")] Inlet,
}

/// <summary>The air conditioner's own circuit.</summary>
public sealed record BranchDesign : DesignPart
{
    [Field(QuantityKind.Length, 0.1, 300, Label = "Board to the wall where it goes out", Help = "along the way of the cable")]
    public double BoardM { get; init; } = 4;
    [Field(QuantityKind.Length, 0.1, 500, Label = "The whole way, one way", Help = "empty adds the way of the pipe to the one above", Optional = true)]
    public double? RouteM { get; init; }
    [Ask("Wire")] public WireSize Wire { get; init; } = WireSize.Computed;
    [Ask("Taken is")] public WireSchool School { get; init; } = WireSchool.Least;
    [Ask("Insulation")] public WireInsulation Insulation { get; init; } = WireInsulation.C90;
    [Ask("It lies as")] public WireWay Way { get; init; } = WireWay.Conduit;
    [Ask("Conduit")] public ConduitKind Conduit { get; init; } = ConduitKind.Lfnc;
    [Field(QuantityKind.Temperature, -40, 85, Label = "Air round it")] public double AirC { get; init; } = 40;
    [Field(QuantityKind.Count, 1, 50, Label = "Conductors with current side by side")] public int Together { get; init; } = 2;
    [Ask("On a roof in the sun")] public bool OnRoof { get; init; }
    [Ask("It passes an engine space")] public bool EngineSpace { get; init; }
    [Ask("Both ends marked 75 °C")] public bool Terminals75 { get; init; }
    [Field(QuantityKind.Fraction, 0.005, 0.15, Label = "May lose")] public double DropShare { get; init; } = 0.03;
    [Ask("Protected by")] public DeviceKind Device { get; init; } = DeviceKind.HacrBreaker;
    [Field(QuantityKind.Current, 1, 600, Label = "its rating", Help = "empty takes what the rules begin with", Optional = true)]
    public double? DeviceA { get; init; }
    [Field(QuantityKind.Count, 1, 3, Label = "Poles that open together", Help = "empty takes what the rules ask", Optional = true)]
    public int? Poles { get; init; }
    [Ask("Breaker curve (IEC)")] public BreakerCurve Curve { get; init; } = BreakerCurve.C;
    [Ask("The plate wants fuses only")] public bool FuseOnly { get; init; }
    [Ask("Something else is on the circuit")] public bool Shared { get; init; }
    [Ask("It plugs in")] public bool Plugged { get; init; }
    [Ask("Residual-current protection")] public ResidualKind Residual { get; init; } = ResidualKind.AsAsked;
    [Ask("Earth goes along as a wire")] public bool Earthed { get; init; } = true;
    [Ask("A white or blue core carries a live")] public bool LightLive { get; init; }
    [Ask("It is marked at every end")] public bool LightMarked { get; init; }
    [Ask("A green core carries anything but earth")] public bool GreenLive { get; init; }
}

/// <summary>Ends, bends and places of the circuit.</summary>
public sealed record EntryDesign : DesignPart
{
    [Ask("Wire is")] public WireBuild Build { get; init; } = WireBuild.Stranded;
    [Ask("With ferrules")] public bool Ferrule { get; init; }
    [Field(QuantityKind.ConductorArea, 0.5, 100, Label = "Largest solid wire of its terminals", Optional = true)] public double? SolidMm2 { get; init; }
    [Field(QuantityKind.ConductorArea, 0.5, 100, Label = "Largest ferrule", Optional = true)] public double? FerruleMm2 { get; init; }
    [Field(QuantityKind.SmallLength, 0.005, 0.1, Label = "Whip's fitting, thread across", Help = "22 mm goes into a half-inch knock-out")]
    public double FittingM { get; init; } = 0.0213;
    [Field(QuantityKind.SmallLength, 0.005, 0.2, Label = "Fitting sticks in by", Help = "lock nut and bushing")]
    public double FittingInM { get; init; } = 0.022;
    [Field(QuantityKind.SmallLength, 0.1, 5, Label = "Isolator to unit, along the whip")] public double WhipM { get; init; } = 0.9;
    [Field(QuantityKind.Degrees, 0, 1080, Label = "Bends between two pull points, together")] public double BendsDeg { get; init; } = 180;
    [Field(QuantityKind.Number, 50, 5000, Label = "Smallest box on the way, cm³", Help = "empty where there is none", Optional = true)]
    public double? BoxCm3 { get; init; }
    [Field(QuantityKind.Count, 1, 30, Label = "Conductors in that box")] public int BoxWires { get; init; } = 6;
    [Field(QuantityKind.Count, 0, 60, Label = "Free places in the board")] public int FreePlaces { get; init; } = 2;
    [Ask("The breaker is one that the board takes")] public bool BoardTakesIt { get; init; } = true;
    [Ask("A socket is within 7.5 m of the outdoor unit")] public bool Socket { get; init; } = true;
    [Ask("A disconnect is at the unit")] public bool Disconnect { get; init; } = true;
    [Field(QuantityKind.Current, 1, 400, Label = "its rating", Help = "empty takes the next that is made", Optional = true)]
    public double? DisconnectA { get; init; }
}

/// <summary>Battery, inverter and what is between them.</summary>
public sealed record BatteryWiringDesign : DesignPart
{
    [Field(QuantityKind.Fraction, 0.005, 0.15, Label = "Cable may lose")] public double DropShare { get; init; } = 0.03;
    [Field(QuantityKind.Count, 1, 4, Label = "Cables side by side", Help = "in each pole")] public int Parallels { get; init; } = 1;
    [Ask("Insulation")] public WireInsulation Insulation { get; init; } = WireInsulation.C105;
    [Ask("It passes an engine space")] public bool EngineSpace { get; init; }
    [Field(QuantityKind.Temperature, -40, 85, Label = "Air round it")] public double AirC { get; init; } = 35;
    [Ask("Fuse")] public FuseClass Fuse { get; init; } = FuseClass.ClassT;
    [Field(QuantityKind.Current, 5, 1000, Label = "its rating", Help = "empty takes the smallest that carries the current", Optional = true)]
    public double? FuseA { get; init; }
    [Field(QuantityKind.SmallLength, 0, 10, Label = "Cable from battery to fuse")] public double FuseM { get; init; } = 0.15;
    [Ask("sheathed that far")] public bool Sheathed { get; init; }
    [Field(QuantityKind.Resistance, 0.00001, 1, Label = "One block's resistance", Help = "of its data sheet; empty is estimated by its chemistry",
        Optional = true)]
    public double? BlockOhm { get; init; }
    [Ask("A switch takes the battery off")] public bool Switched { get; init; } = true;
    [Ask("A polarised breaker is between battery and inverter")] public bool PolarisedBreaker { get; init; }
    [Field(QuantityKind.Number, 0.1, 1000, Label = "Inverter's capacitors, mF", Help = "empty where its maker does not say", Optional = true)]
    public double? InverterMf { get; init; }
    [Field(QuantityKind.Resistance, 0.1, 1000, Label = "Filled through", Help = "empty closes at once",
        Optional = true)]
    public double? PrechargeOhm { get; init; }
    [Field(QuantityKind.Count, 1, 8, Label = "Lugs on the fullest stud")] public int Lugs { get; init; } = 2;
    [Field(QuantityKind.Count, 5, 12, Label = "that stud, M")] public int StudM { get; init; } = 8;
    [Field(QuantityKind.Torque, 0.5, 60, Label = "Its torque by the maker", Optional = true)] public double? TorqueNm { get; init; }
    [Field(QuantityKind.Torque, 0.5, 60, Label = "tightened to", Help = "as the wrench showed", Optional = true)] public double? TightenedNm { get; init; }
    [Field(QuantityKind.SmallLength, 0.01, 1, Label = "Free in front of the lug", Help = "to the next wall or cover", Optional = true)]
    public double? FreeM { get; init; }
}

/// <summary>Cable and isolator of the modules.</summary>
public sealed record PvWiringDesign : DesignPart
{
    [Field(QuantityKind.Length, 0.5, 200, Label = "Modules to controller, one way")] public double CableM { get; init; } = 5;
    [Ask("Wire")] public WireSize Wire { get; init; } = WireSize.Computed;
    [Ask("It lies on the hot roof")] public bool OnRoof { get; init; } = true;
    [Field(QuantityKind.Temperature, -20, 85, Label = "Air round it")] public double AirC { get; init; } = 40;
    [Ask("Terminals marked 75 °C")] public bool Terminals75 { get; init; } = true;
    [Ask("An isolator opens both poles")] public bool Isolator { get; init; } = true;
    [Field(QuantityKind.Voltage, 10, 1500, Label = "it bears", Help = "empty takes what it must", Optional = true)]
    public double? IsolatorV { get; init; }
    [Field(QuantityKind.Current, 1, 200, Label = "and breaks", Optional = true)] public double? IsolatorA { get; init; }
    [Ask("It is made for AC only")] public bool AcSwitch { get; init; }
    [Ask("Frames and rails go to earth")] public bool FramesEarthed { get; init; } = true;
    [Ask("The strings lose their volts when the mains are cut")] public bool RapidShutdown { get; init; }
    [Field(QuantityKind.Voltage, -1500, 1500, Label = "A string measures", Help = "open, in the sun; minus where it shows minus", Optional = true)]
    public double? StringV { get; init; }
}

/// <summary>How neutral and earth of the sources stand.</summary>
public sealed record BondingDesign : DesignPart
{
    [Ask("Inverter ties neutral to earth")] public BondRule Inverter { get; init; } = BondRule.WhenSourcing;
    [Ask("Generator ties them")] public BondRule Generator { get; init; } = BondRule.Never;
    [Ask("A bond in the rig's own board")] public bool BoardBond { get; init; }
    [Ask("The transfer switches the neutral too")] public bool NeutralSwitched { get; init; } = true;
    [Ask("The shore cord may stay plugged in while another source runs")] public bool CordStays { get; init; } = true;
    [Ask("An isolation transformer is at the shore")] public bool Transformer { get; init; }
    [Ask("A galvanic isolator is in the shore's earth")] public bool GalvanicIsolator { get; init; }
    [Field(QuantityKind.Current, 1, 200, Label = "it bears")] public double GalvanicA { get; init; } = 60;
    [Field(QuantityKind.Voltage, 0, 300, Label = "At the pedestal, live to neutral", Optional = true)] public double? LiveNeutralV { get; init; }
    [Field(QuantityKind.Voltage, 0, 300, Label = "neutral to earth", Optional = true)] public double? NeutralEarthV { get; init; }
    [Field(QuantityKind.Voltage, 0, 300, Label = "live to earth", Optional = true)] public double? LiveEarthV { get; init; }
}

/// <summary>One label of the terminal blocks of head and outdoor unit.</summary>
public sealed record TerminalDesign : DesignPart
{
    [Ask("Label", Longest = 6)] public string Label { get; init; } = "1";
    [Ask("It carries")] public CoreRole Role { get; init; } = CoreRole.Live;
    [Ask("At the head")] public CoreColour Head { get; init; } = CoreColour.None;
    [Ask("At the outdoor unit")] public CoreColour Outdoor { get; init; } = CoreColour.None;
}

/// <summary>One head's cable and pipe at the outdoor unit.</summary>
public sealed record ZoneDesign : DesignPart
{
    [Ask("Head", Longest = 20)] public string Head { get; init; } = "bedroom";
    [Ask("Cable on circuit", Longest = 2)] public string Cable { get; init; } = "A";
    [Ask("Pipe on port", Longest = 2)] public string Pipe { get; init; } = "A";
}

/// <summary>The cable between the units, and the pump's alarm in it.</summary>
public sealed record BetweenDesign : DesignPart
{
    [Ask("Terminals", Most = 12)]
    public IReadOnlyList<TerminalDesign> Terminals { get; init; } =
    [
        new() { Label = "1", Role = CoreRole.Live, Head = CoreColour.Brown, Outdoor = CoreColour.Brown },
        new() { Label = "2", Role = CoreRole.Neutral, Head = CoreColour.Blue, Outdoor = CoreColour.Blue },
        new() { Label = "3", Role = CoreRole.Data, Head = CoreColour.Black, Outdoor = CoreColour.Black },
        new() { Label = "E", Role = CoreRole.Earth, Head = CoreColour.GreenYellow, Outdoor = CoreColour.GreenYellow },
    ];
    [Ask("Several heads", Most = 8)] public IReadOnlyList<ZoneDesign> Zones { get; init; } = [];
    [Field(QuantityKind.ConductorArea, 0.5, 10, Label = "One core")] public double CoreMm2 { get; init; } = 1.5;
    [Field(QuantityKind.Count, 0, 5, Label = "Joined on its way, times")] public int Splices { get; init; }
    [Field(QuantityKind.Count, 2, 8, Label = "Cores beyond the joint")] public int BeyondCores { get; init; } = 4;
    [Field(QuantityKind.ConductorArea, 0.5, 10, Label = "their size")] public double BeyondMm2 { get; init; } = 1.5;
    [Field(QuantityKind.Count, 20, 69, Label = "Joint's box, IP")] public int BoxIp { get; init; } = 66;
    [Field(QuantityKind.SmallLength, 0, 5, Label = "Away from the inverter's DC cables")] public double FromDcM { get; init; } = 0.5;
    [Ask("The manual asks for a screened cable, and it is not")] public bool Unscreened { get; init; }
    [Ask("Fed is")] public PumpArrangement Fed { get; init; } = PumpArrangement.OutdoorFed;
    [Ask("A condensate pump has its alarm in it")] public bool Pump { get; init; }
    [Ask("The pump has its fuse")] public bool PumpFused { get; init; } = true;
    [Ask("The alarm has its fuse")] public bool AlarmFused { get; init; } = true;
    [Ask("The data core goes through the alarm")] public bool DataThroughAlarm { get; init; }
    [Ask("The old live core was left in")] public bool OldCoreLeft { get; init; }
    [Field(QuantityKind.Current, 0.1, 60, Label = "The alarm's contact bears")] public double ContactA { get; init; } = 5;
}

/// <summary>Where a soft starter goes.</summary>
public sealed record SoftStarterDesign : DesignPart
{
    [Field(QuantityKind.Resistance, 0, 1000, Label = "Terminals A to B", Help = "all wires off; empty where the meter shows open", Optional = true)]
    public double? AbOhm { get; init; }
    [Field(QuantityKind.Resistance, 0, 1000, Label = "A to C", Optional = true)] public double? AcOhm { get; init; }
    [Field(QuantityKind.Resistance, 0, 1000, Label = "B to C", Optional = true)] public double? BcOhm { get; init; }
    [Field(QuantityKind.Resistance, 0, 2, Label = "Test leads, touching")] public double LeadsOhm { get; init; }
    [Field(QuantityKind.Resistance, 0.001, 1, Label = "The meter shows steps of")] public double StepOhm { get; init; } = 0.1;
    [Field(QuantityKind.Resistance, 0, 1e9, Label = "Any terminal to the shell", Help = "the lowest; empty where it shows open", Optional = true)]
    public double? ShellOhm { get; init; }
    [Ask("Control, common wire is")] public CoreColour CommonColour { get; init; } = CoreColour.Black;
    [Ask("run wire is")] public CoreColour RunColour { get; init; } = CoreColour.Red;
    [Ask("start wire is")] public CoreColour StartColour { get; init; } = CoreColour.White;
    [Ask("Device has a lead pair for common")] public bool LeadsCommon { get; init; } = true;
    [Ask("for run")] public bool LeadsRun { get; init; } = true;
    [Ask("for start")] public bool LeadsStart { get; init; } = true;
    [Ask("Control's common wire joined to")] public StarterLead ControlCommon { get; init; } = StarterLead.SupplyCommon;
    [Ask("its run wire to")] public StarterLead ControlRun { get; init; } = StarterLead.SupplyRun;
    [Ask("its start wire to")] public StarterLead ControlStart { get; init; } = StarterLead.SupplyStart;
    [Ask("Compressor's common joined to")] public StarterLead CompressorCommon { get; init; } = StarterLead.LoadCommon;
    [Ask("its run to")] public StarterLead CompressorRun { get; init; } = StarterLead.LoadRun;
    [Ask("its start to")] public StarterLead CompressorStart { get; init; } = StarterLead.LoadStart;
    [Ask("The fan is fed through it")] public bool FanThrough { get; init; }
    [Ask("A start relay or capacitor is still in")] public bool OtherAssist { get; init; }
    [Ask("It would be screwed near a coil, tube or line")] public bool Drilled { get; init; }
    [Field(QuantityKind.SmallLength, 0, 1, Label = "From the hot pipe and the shell")] public double FromHotM { get; init; } = 0.05;
}

/// <summary>How the rig is wired.</summary>
public sealed record WiringDesign : DesignPart
{
    [Ask("Rules")] public RuleBook Rules { get; init; } = RuleBook.ByRig;
    public BranchDesign Branch { get; init; } = new();
    public EntryDesign Entry { get; init; } = new();
    public BatteryWiringDesign Battery { get; init; } = new();
    public PvWiringDesign Pv { get; init; } = new();
    public BondingDesign Bonding { get; init; } = new();
    public BetweenDesign Between { get; init; } = new();
    public SoftStarterDesign SoftStarter { get; init; } = new();
}
