using System.Text;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Layout;
using Vanto.Core.Load;
using Vanto.Core.Mount;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Service;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;
using Vanto.Storage;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Demo;

/// <summary>The demo's five rigs: invented places, people and classes, each at a different stage of the work.</summary>
public static class DemoRigs
{
    private const string Firm = "Brindle Lane Mobile Cooling";

    private static readonly PlaceDesign SaltpanFlat = new()
    {
        Name = "Saltpan Flat",
        LatitudeDeg = 32.6,
        LongitudeDeg = -113.4,
        UtcOffsetH = -7,
        ElevationM = 410,
        Month = 8,
        Day = 14,
        DryBulbC = 42,
        NightLowC = 26,
        HumidityPct = 14,
        WindMs = 2.5,
        LinkeTurbidity = 4,
        Ground = GroundKind.Sand
    };
    private static readonly PlaceDesign PortAmbry = new()
    {
        Name = "Port Ambry",
        LatitudeDeg = 17.8,
        LongitudeDeg = -63.1,
        UtcOffsetH = -4,
        ElevationM = 0,
        Month = 8,
        Day = 21,
        DryBulbC = 32,
        NightLowC = 26,
        HumidityPct = 62,
        WindMs = 4,
        LinkeTurbidity = 4.5,
        Ground = GroundKind.Water
    };
    private static readonly PlaceDesign UpperCorrie = new()
    {
        Name = "Upper Corrie",
        LatitudeDeg = 39.4,
        LongitudeDeg = -105.9,
        UtcOffsetH = -7,
        ElevationM = 2350,
        Month = 7,
        Day = 12,
        DryBulbC = 30,
        NightLowC = 9,
        HumidityPct = 22,
        WindMs = 2,
        LinkeTurbidity = 2.5,
        Ground = GroundKind.Grass
    };
    private static readonly PlaceDesign NettleReach = new()
    {
        Name = "Nettle Reach",
        LatitudeDeg = 51.9,
        LongitudeDeg = 1.1,
        UtcOffsetH = 0,
        ElevationM = 4,
        Month = 7,
        Day = 21,
        DryBulbC = 31,
        NightLowC = 17,
        HumidityPct = 42,
        WindMs = 3,
        LinkeTurbidity = 3.5,
        Ground = GroundKind.Gravel
    };

    private static readonly ClimateDesign SaltpanYear = Year(1, [18, 21, 25, 29, 35, 40, 42, 41, 37, 31, 23, 18], [5, 7, 10, 14, 19, 24, 28, 27, 23, 16, 9, 5],
        [.62, .65, .69, .72, .74, .74, .69, .69, .71, .69, .65, .61], 24, 2.5) with
    { WinterC = -2 };
    private static readonly ClimateDesign AmbryYear = Year(2, [28, 28, 28.5, 29, 30, 31, 31, 32, 31, 30.5, 29.5, 28.5],
        [23, 23, 23.5, 24, 25, 26, 26, 26, 26, 25.5, 25, 24], [.56, .58, .60, .60, .58, .57, .58, .57, .55, .54, .53, .53], 76,
        4.5) with
    { WinterC = 19, WinterWaterC = 25 };
    private static readonly ClimateDesign CorrieYear = Year(3, [1, 3, 7, 12, 17, 24, 27, 26, 22, 15, 7, 2], [-15, -13, -8, -4, 1, 5, 8, 7, 3, -3, -9, -14],
        [.60, .62, .62, .62, .62, .66, .63, .62, .64, .63, .60, .58], 48, 3) with
    { WinterC = -20 };
    private static readonly ClimateDesign ReachYear = Year(4, [8, 8, 11, 14, 18, 21, 23, 23, 20, 16, 11, 8], [3, 2, 4, 5, 8, 11, 13, 13, 11, 8, 5, 3],
        [.33, .38, .42, .46, .48, .48, .47, .46, .43, .38, .33, .30], 80, 4) with
    { WinterC = -4 };

    private static ClimateDesign Year(int seed, double[] max, double[] min, double[] clearness, double humidity, double wind) => new()
    {
        Seed = seed,
        Months = [.. Enumerable.Range(0, 12).Select(
            m => new Core.Physics.MonthClimate { MaxC = max[m], MinC = min[m], Clearness = clearness[m], HumidityPct = humidity, WindMs = wind })],
    };

    /// <summary>The five designs.</summary>
    public static IReadOnlyList<JobDesign> Designs { get; } = [Marigold(), Pipit(), GannetsRest(), SeedHouse(), ThistleVan()];

    /// <summary>Adds the demo rigs and their records to a store that has none.</summary>
    public static async Task Fill(IServiceProvider services)
    {
        await using var scope = services.CreateAsyncScope();
        var log = scope.ServiceProvider.GetRequiredService<RigLog>();
        var clock = scope.ServiceProvider.GetRequiredService<TimeProvider>();
        if ((await log.All()).Count > 0)
            return;
        // All or nothing: killed in between, the next start fills an empty store.
        await log.AtOnce(async () =>
        {
            var now = clock.GetUtcNow();
            foreach (var design in Designs)
                await Add(log, now, design);
            await log.Holder(ShopDesk.Shop, now);
            await log.Add([.. DemoService.Shop(now).Select((r, i) => ShopDesk.Row(r, i + 1))]);
        });
    }

    private static async Task Add(RigLog log, DateTimeOffset now, JobDesign design)
    {
        if (design.Service.HandedOver.Length > 0)
            design = design with { Service = design.Service with { HandedOver = Ago(now, DemoService.HandedOverDaysAgo) } };
        var stored = await log.Create(new RevisionDraft(JobFile.Write(design), [], "", "demo", now));
        // The made-up year of its place as the EPW file that it ships with.
        var text = EpwFile.Write(SeasonRun.Made(design.Survey), "synthetic weather made by Vanto from monthly figures; not measured");
        var file = new AttachmentRow
        {
            Id = Guid.CreateVersion7(),
            RigId = stored.Id,
            At = now,
            Name = $"{FileNames.Safe(design.Survey.Place.Name)}.epw",
            Content = Encoding.UTF8.GetBytes(text)
        };
        var withFile =
            design with { Survey = design.Survey with { Climate = design.Survey.Climate with { WeatherFile = RigWeather.Named(file.Id, file.Name) } } };
        await log.Append(stored.Id, stored.Revision,
            new RevisionDraft(JobFile.Write(withFile), ["/survey/climate/weatherFile"], "", $"weather read from {file.Name}", now), file);
        foreach (var (by, readings) in Records(design.Name))
            await log.Add(TypedRecord.Row(StationRegistry.Standard, stored.Id, await log.NextOrder(stored.Id),
                new CommissionRecord(Guid.CreateVersion7(), now, by, readings, null)));
        foreach (var record in DemoProof.Of(design.Name, now).Concat(DemoService.Of(design.Name, now)))
            await log.Add(TypedRecord.Row(StationRegistry.Standard, stored.Id, await log.NextOrder(stored.Id), record));
        var order = await log.NextOrder(stored.Id);
        if (design.Name == HalfDone)
            await log.Add([.. DemoSite.Events(design, HalfDoneSteps, now).Select((r, i) => TypedRecord.Row(StationRegistry.Standard, stored.Id,
                order + i, r))]);
    }

    private static string Ago(DateTimeOffset now, int days) => now.AddDays(-days).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The rig whose work on site is half done.</summary>
    public const string HalfDone = "Pipit";

    private const int HalfDoneSteps = 14;

    /// <summary>Start-up readings that go with a demo rig.</summary>
    public static IEnumerable<(string By, StartUpReadings Readings)> Records(string name) => name switch
    {
        "Thistle Van" => [("Piet Okafor-Lund", new StartUpReadings { StartA = 17.9, RunV = 118.6, RunA = 9.9,
            RunW = 1130, EnteringC = 26.5, EnteringRhPct = 52, LeavingC = 14.6, OutdoorC = 27 })],
        "Pipit" =>
            [("Ottoline Marsh",
                new StartUpReadings { RunV = 12.4, RunA = 44, RunW = 560, OutdoorC = 26, EnteringC = 27, EnteringRhPct = 30, LeavingC = 15.5 })],
        _ => [],
    };

    /// <summary>Large modules of an invented plate.</summary>
    private static ModulesDesign Large(int count) =>
        new() { Count = count, RatedW = 395, VocV = 36.9, VmpV = 31, IscA = 13.6, ImpA = 12.75, LengthM = 1.722, WidthM = 1.134 };

    /// <summary>A cable of four cores, alike at both ends.</summary>
    private static IReadOnlyList<TerminalDesign> Cores(CoreColour live, CoreColour neutral, CoreColour data, CoreColour earth) =>
    [
        new() { Label = "1", Role = CoreRole.Live, Head = live, Outdoor = live }, new() { Label = "2", Role = CoreRole.Neutral, Head = neutral,
            Outdoor = neutral },
        new() { Label = "3", Role = CoreRole.Data, Head = data, Outdoor = data }, new() { Label = "E", Role = CoreRole.Earth, Head = earth, Outdoor = earth },
    ];

    /// <summary>The seed house's unit: the class of 18,000 BTU/h for 230 V and 50 Hz.</summary>
    private static AcUnit SunSplit => UnitCatalogue.Find("PH-18-240")! with
    {
        Id = "PA-52-230",
        SupplyVoltageV = 230,
        FrequencyHz = 50,
        RatedCapacityW = 5200,
        RatedPowerW = 1400,
        MassKg = 54,
    };

    private static CrewDesign Ottoline => new() { Name = "Ottoline", Licence = Licence.Handler, RateH = 48 };
    private static CrewDesign Piet => new() { Name = "Piet", Licence = Licence.Electrician, RateH = 46 };
    private static CrewDesign Wren => new() { Name = "Wren", Licence = Licence.None, Helper = true, RateH = 26 };

    private static PlanDesign Planned(string first, CrewDesign[] crew) => new()
    {
        Crew = crew,
        When = new WhenDesign { FirstDay = first },
        Prices =
        [
            Price("pipe-coil", 15, 118), Price("insulation", 2, 6.4), Price("bundle-tape", 20, 9.8), Price("line-cover", 2, 14.5), Price("line-clip", 10, 4.2),
            Price("outdoor-unit", 1, 1120, 21), Price("rooftop-unit", 1, 1340, 21), Price("frame-stock", 3, 27), Price("spreader", 1, 8.5),
            Price("anchor", 4, 5.6), Price("mount-bolt", 4, 6.2), Price("rubber-foot", 4, 11), Price("sleeve", 1, 7.5), Price("sealant", 300, 7.9),
            Price("drain-hose", 5, 6.8), Price("supply-cable", 10, 24), Price("supply-cable", 25, 54), Price("interconnect", 5, 13), Price("interconnect",
                10, 24),
            Price("breaker", 1, 19), Price("disconnect", 1, 32), Price("gland", 1, 2.1), Price("ferrule", 25, 3.9), Price("leak-soap", 500, 8.4),
            Price("nitrogen", 0.55, 21), Price("soft-starter", 1, 289, 14), Price("roof-gasket", 1, 26), Price("butyl", 10, 12),
        ],
        ToolCosts =
        [
            new ToolCostDesign { Tool = "core-drill", DayPrice = 26, Price = 310, Jobs = 12 },
            new ToolCostDesign { Tool = "micron-gauge", DayPrice = 9, Price = 140, Jobs = 60 },
        ],
        Quote = new QuoteDesign { Travel = 28, Other = 34 },
    };

    private static PriceDesign Price(string item, double pack, double price, int? lead = null) =>
        new() { Item = item, Supplier = "own shelf", Pack = pack, Price = price, LeadDays = lead, Date = "2026-10-12" };

    private static JobDesign Marigold()
    {
        var rig = RigPresets.New(RigKind.Bus, "Marigold");
        return rig with
        {
            NextDate = "2027-03-02",
            Survey = rig.Survey with
            {
                Place = SaltpanFlat,
                Climate = SaltpanYear,
                FirstSpaceName = "studio",
                Further = [new FurtherSpaceDesign { Name = "bunk",
                    Space = rig.Survey.Space with { LengthM = 2.2, WidthM = 2.35, HeightM = 1.95, AirChangesPerHour = 0.5 },
                    Windows =
                        [new WindowDesign { Name = "bunk window", Side = Side.Rear, WidthM = 0.9, HeightM = 0.5, Glazing = "tinted", Cover = "quilted" }] }],
                Shades = [new ShadeDesign { Kind = ShadeKind.Awning, Side = Side.Right, DepthM = 2.4, WidthM = 4, From = 9, To = 19 }],
                HeadingDeg = 180,
                Space = rig.Survey.Space with { LengthM = 7.2, WidthM = 2.35, HeightM = 1.95 },
                Roof = rig.Survey.Roof with { InsulationM = 0.050, Paint = "white-aged" },
                Walls = rig.Survey.Walls with { InsulationM = 0.050, ThermalBreak = true, Paint = "cream" },
                Windows =
                [
                    new WindowDesign { Name = "windscreen", Side = Side.Front, WidthM = 2.0, HeightM = 1.1, Glazing = "windscreen", Cover = "bubble" },
                    new WindowDesign { Name = "left side windows", Side = Side.Left, WidthM = 0.85, HeightM = 0.6, Count = 5, Glazing = "tinted",
                        Cover = "light-curtain" },
                    new WindowDesign { Name = "right side windows", Side = Side.Right, WidthM = 0.85, HeightM = 0.6, Count = 4, Glazing = "tinted",
                        Cover = "light-curtain" },
                ],
                People = new PeopleDesign { Count = 2, Activity = Activity.LightWork },
                Devices =
                [
                    new DeviceDesign { Name = "fridge", PowerW = 55, Supply = DeviceSupply.Dc },
                    new DeviceDesign { Name = "lamps and router", PowerW = 40, From = 17, To = 23, Supply = DeviceSupply.Dc },
                    new DeviceDesign { Name = "press and glue pot", PowerW = 350, From = 9, To = 16, Supply = DeviceSupply.Ac, OnAtStart = true },
                    new DeviceDesign { Name = "kettle", PowerW = 1500, From = 7, To = 7.25, Supply = DeviceSupply.Ac, OnAtStart = true },
                ],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign { NominalV = 48, BlockAh = 100, Blocks = 3, CapacityLeft = 0.9, TemperatureC = 30, FuseInterruptsA = 20000 },
                    Inverter = new InverterDesign { RatedW = 3000, OutputV = 120 },
                    Modules = Large(6) with { Series = 3 },
                    Controller = new ControllerDesign { Known = true, MaxV = 150, MinV = 33, TrackMaxV = 145, MaxIscA = 60, MaxCurrentA = 50 },
                    OnRoof = new RoofDesign
                    {
                        Obstacles = [
                        new RoofObstacleDesign { Name = "front vent", FromFrontM = 2.4, FromLeftM = 1, LengthM = 0.4, WidthM = 0.4 },
                        new RoofObstacleDesign { Name = "rear vent", FromFrontM = 7.2, FromLeftM = 1, LengthM = 0.4, WidthM = 0.4 }]
                    },
                },
            },
            Unit = new UnitDesign
            {
                Chosen = "MS-12-120",
                Sheets =
                [
                    new UnitSheetDesign
                    {
                        Unit = "MS-12-120",
                        Box =
                        [
                            new BoxPart { Kind = BoxKind.Screw, Name = "screws of the plate", Count = 8, SizeM = 0.004, LengthM = 0.03 },
                            new BoxPart { Kind = BoxKind.Anchor, Name = "plugs for masonry", Count = 8, SizeM = 0.006 },
                            new BoxPart { Kind = BoxKind.Hose, Name = "drain hose", Count = 1, SizeM = 0.016, LengthM = 0.6 },
                            new BoxPart { Kind = BoxKind.Pad, Name = "rubber feet", Count = 4 },
                            new BoxPart { Kind = BoxKind.Remote, Name = "remote control", Count = 1 },
                        ],
                    },
                ],
            },
            Start = new StartDesign { CableM = 7, CableMm2 = 3.31 },
            Energy = new EnergyDesign { SetpointC = 25, OtherwiseC = 27, StartSoc = 0.9, Sizing = new SizingDesign { MostModules = 11 } },
            Layout = new LayoutDesign
            {
                Wall = new WallDesign
                {
                    Build = WallBuild.Ribs,
                    ThicknessM = 0.062,
                    RibFirstM = 0.235,
                    RibPitchM = 0.44,
                    Scanned = true,
                    Things =
                    [
                        new ThingDesign { Name = "bunk window", Kind = ThingKind.Window, LeftM = 0.30, LowM = 0.88, WidthM = 0.9, HeightM = 0.5 },
                        new ThingDesign { Name = "locker", Kind = ThingKind.Cupboard, LeftM = 1.73, LowM = 1.40, WidthM = 0.6, HeightM = 0.48 },
                        new ThingDesign
                        {
                            Name = "lamp cable", Kind = ThingKind.Cable, Place = ThingPlace.Within, LeftM = 0, LowM = 1.42, WidthM = 2.35, HeightM = 0.015,
                        },
                        new ThingDesign
                        {
                            Name = "number plate", Kind = ThingKind.Fixture, Place = ThingPlace.Outside, LeftM = 0.9, LowM = 0.25,
                            WidthM = 0.52, HeightM = 0.11,
                        },
                    ],
                },
                Outdoor = new OutdoorSpotDesign { Place = OutdoorPlace.RearFrame, RightM = 0.62, UpM = 0.05, OffM = 0.12, DisconnectM = 1.35 },
                Drain = new DrainDesign { EndUpM = -0.35, PitchDeg = 1, RollDeg = 2, TrayDeg = 1.5 },
                Sound = new SoundDesign { PillowM = 1.8, UnitToPillowM = 2.2, WallDb = 24, NeighbourM = 12 },
            },
            Mount = new MountDesign
            {
                Frame = new FrameDesign
                {
                    Arm = Profile.Tube30,
                    Strut = Profile.Tube25,
                    ArmM = 0.50,
                    StrutOutM = 0.38,
                    StrutDownM = 0.36,
                    SlotToM = 0.46,
                },
                Fixing = new FixingDesign { Size = BoltSize.M10, RibM = 0.0025, BackingM = 0.08, Spreader = true, EdgeM = 0.03 },
                Feet = new FeetDesign { EachNm = 7000, FromHz = 22, ToHz = 95 },
                Bear = new MustBearDesign { DrivenMs = 22 },
                Road = new RoadDesign
                {
                    WheelbaseM = 5.3,
                    BehindM = 8.1,
                    FrontKg = 3650,
                    FrontMayKg = 5000,
                    RearKg = 6480,
                    RearMayKg = 8200,
                    GrossKg = 12500,
                    TrackM = 2.05,
                    CentreM = 1.2,
                    HighM = 3.15,
                    WideM = 2.5,
                    WheelM = 0.48,
                    LowBehindM = 2.9,
                    LowM = 0.62,
                },
            },
            Plan = Planned("2027-03-02", [Ottoline, Piet, Wren]) with
            {
                When = new WhenDesign
                {
                    FirstDay = "2027-03-02",
                    OrderedOn = "2027-01-25",
                    SupplyW = 1800
                }
            },
            Wiring = new WiringDesign
            {
                Branch = new BranchDesign { BoardM = 4.2, RouteM = 9.5, AirC = 45, Way = WireWay.Conduit, Conduit = ConduitKind.Lfnc, Terminals75 = true },
                Battery = new BatteryWiringDesign { FuseM = 0.14, BlockOhm = 0.016, TorqueNm = 11 },
                Pv = new PvWiringDesign { CableM = 6.5, IsolatorV = 250, IsolatorA = 40, Terminals75 = true },
                Bonding = new BondingDesign { LiveNeutralV = 121, NeutralEarthV = 0.8, LiveEarthV = 120.5 },
                Between = new BetweenDesign { Terminals = Cores(CoreColour.Black, CoreColour.White, CoreColour.Red, CoreColour.Green) },
            },
            Handover = new HandoverDesign { Firm = Firm },
        };
    }

    private static JobDesign Pipit()
    {
        var rig = RigPresets.New(RigKind.Van, "Pipit");
        return rig with
        {
            NextDate = "2026-12-04",
            Survey = rig.Survey with
            {
                Place = UpperCorrie,
                Climate = CorrieYear,
                Stands = [new StandDesign { From = "08-20", Place = SaltpanFlat, HeadingDeg = 180 }],
                Occupants = [new OccupantDesign { Kind = OccupantKind.Animals, Count = 1, MassKg = 18, From = 8, To = 18 }],
                HeadingDeg = 225,
                Space = rig.Survey.Space with { LengthM = 4.1, WidthM = 1.8, HeightM = 1.95 },
                Roof = rig.Survey.Roof with { InsulationM = 0.040, Paint = "silver" },
                Walls = rig.Survey.Walls with { InsulationM = 0.040, Paint = "dark-blue" },
                Windows =
                [
                    new WindowDesign { Name = "slider window", Side = Side.Right, WidthM = 0.9, HeightM = 0.5, Cover = "quilted" },
                    new WindowDesign { Name = "rear window", Side = Side.Rear, WidthM = 0.6, HeightM = 0.45, Glazing = "privacy", Cover = "none" },
                    new WindowDesign { Name = "roof hatch", Side = Side.Roof, WidthM = 0.4, HeightM = 0.4, Glazing = "hatch-double", Cover = "bubble" },
                ],
                People = new PeopleDesign { Count = 1, Activity = Activity.LightWork, AwakeFrom = 7, AwakeTo = 22 },
                Devices =
                [
                    new DeviceDesign { Name = "fridge", PowerW = 35 },
                    new DeviceDesign { Name = "bench lamps", PowerW = 60, From = 9, To = 18, OnAtStart = true },
                ],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign
                    {
                        NominalV = 12,
                        BlockAh = 280,
                        Blocks = 1,
                        CableM = 1,
                        CableMm2 = 70,
                        TemperatureC = 20,
                        FuseInterruptsA = 20000
                    },
                    Inverter = new InverterDesign { Fitted = false },
                    Modules = Large(1),
                    OnRoof = new RoofDesign { UnitFromFrontM = 0.3 },
                    Alternator = new AlternatorDesign { PowerW = 700, From = 16, To = 17.5 },
                },
            },
            Unit = new UnitDesign { Chosen = "DR-20-12" },
            Energy = new EnergyDesign { SetpointC = 24, From = 12, To = 22, OtherwiseC = 26, StartHour = 9, StartSoc = 0.95 },
            Layout = new LayoutDesign
            {
                Opening = new OpeningDesign
                {
                    LengthM = 0.40,
                    WidthM = 0.40,
                    MadeLengthM = 0.40,
                    MadeWidthM = 0.40,
                    RoofM = 0.042,
                    TakesFromM = 0.03,
                    TakesToM = 0.075,
                    GasketM = 0.03,
                    PressedM = 0.016,
                    AcrossM = 0.46,
                    CrownM = 9,
                    RibM = 0.055,
                    PitchDeg = 1.5,
                    DrivingKg = 100,
                    StaticKg = 280,
                },
                Sound = new SoundDesign { PillowM = 1.4, NeighbourM = 9, Faces = 0 },
            },
            Mount = new MountDesign
            {
                Bear = new MustBearDesign { Unpaved = true },
                Road = new RoadDesign
                {
                    WheelbaseM = 3.66,
                    BehindM = 2.3,
                    FrontKg = 1480,
                    FrontMayKg = 1850,
                    RearKg = 1690,
                    RearMayKg = 2100,
                    GrossKg = 3500,
                    HighM = 2.74,
                    TopM = 2.98,
                    CentreM = 0.92,
                },
            },
            Plan = Planned("2026-12-04", [Piet, Wren]),
            Wiring = new WiringDesign
            {
                Rules = RuleBook.VehicleDc,
                Branch = new BranchDesign { RouteM = 3.2, AirC = 50, Insulation = WireInsulation.C105, Way = WireWay.Flexible },
                Entry = new EntryDesign { Build = WireBuild.Fine, Ferrule = true, FerruleMm2 = 35 },
                Pv = new PvWiringDesign { CableM = 3, IsolatorV = 150, IsolatorA = 32 },
            },
            Handover = new HandoverDesign { Firm = Firm },
        };
    }

    private static JobDesign GannetsRest()
    {
        var rig = RigPresets.New(RigKind.Boat, "Gannet's Rest");
        return rig with
        {
            NextDate = "2027-01-15",
            Survey = rig.Survey with
            {
                Place = PortAmbry,
                Climate = AmbryYear,
                FirstSpaceName = "saloon",
                Further = [new FurtherSpaceDesign { Name = "aft cabin", Space = rig.Survey.Space with { LengthM = 2.2, WidthM = 2.4, HeightM = 1.7 }, Windows =
                    [new WindowDesign { Name = "aft hatch", Side = Side.Roof, WidthM = 0.5, HeightM = 0.5, Glazing = "hatch-single", Cover = "bubble" }] }],
                HeadingDeg = 80,
                WaterC = 29,
                Space = rig.Survey.Space with { LengthM = 5.4, WidthM = 2.7, HeightM = 1.85 },
                Roof = rig.Survey.Roof with { Paint = "gelcoat" },
                Walls = rig.Survey.Walls with { Preset = "grp-solid", InsulationM = 0.010, Paint = "dark-blue" },
                Windows =
                [
                    new WindowDesign { Name = "left ports", Side = Side.Left, WidthM = 0.4, HeightM = 0.18, Count = 4, Glazing = "hatch-single",
                        Cover = "light-curtain" },
                    new WindowDesign { Name = "right ports", Side = Side.Right, WidthM = 0.4, HeightM = 0.18, Count = 4, Glazing = "hatch-single",
                        Cover = "light-curtain" },
                    new WindowDesign { Name = "deck hatches", Side = Side.Roof, WidthM = 0.5, HeightM = 0.5, Count = 3, Glazing = "hatch-single",
                        Cover = "none" },
                    new WindowDesign { Name = "companionway", Side = Side.Rear, WidthM = 0.6, HeightM = 0.9, Glazing = "hatch-single", Cover = "none" },
                ],
                People = new PeopleDesign { Count = 2, AwakeFrom = 8, AwakeTo = 22 },
                Devices =
                [
                    new DeviceDesign { Name = "fridge and instruments", PowerW = 60 },
                    new DeviceDesign { Name = "galley outlets", PowerW = 120, From = 18, To = 22, Supply = DeviceSupply.Ac, OnAtStart = true },
                ],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign
                    {
                        NominalV = 24,
                        BlockAh = 280,
                        Blocks = 1,
                        TemperatureC = 30,
                        CableM = 2,
                        CableMm2 = 70,
                        FuseInterruptsA = 20000
                    },
                    Inverter = new InverterDesign { RatedW = 1600, OutputV = 230, IdleW = 15 },
                    Generator = new GeneratorDesign
                    {
                        Fitted = true,
                        Kind = GeneratorKind.Conventional,
                        Fuel = FuelKind.Diesel,
                        OutputV = 230,
                        RatedW = 1800,
                        MaximumW = 2200,
                        ChargerW = 1400,
                        AutoStart = true,
                        CoAlarm = true,
                        StartSoc = 0.4,
                        StopSoc = 0.85
                    },
                    Modules = Large(2) with { Mounting = ModuleMounting.WellCooled },
                },
            },
            Load = new LoadDesign { SetpointC = 25, HumidityPct = 55 },
            Unit = new UnitDesign { Chosen = "MS-26-230", InletRiseK = 2 },
            Layout = new LayoutDesign
            {
                Wall = new WallDesign
                {
                    Side = WallSide.Front,
                    Build = WallBuild.Sandwich,
                    WidthM = 2.1,
                    ThicknessM = 0.035,
                    RibPitchM = 0,
                    Scanned = true,
                    Things =
                    [
                        new ThingDesign { Name = "saloon lamp", Kind = ThingKind.Fixture, LeftM = 1.55, LowM = 1.35, WidthM = 0.2, HeightM = 0.12 },
                        new ThingDesign { Name = "cabin hatch", Kind = ThingKind.Hatch, LeftM = 0.75, LowM = 0.45, WidthM = 0.5, HeightM = 0.5 },
                    ],
                },
                Outdoor = new OutdoorSpotDesign { Place = OutdoorPlace.Deck, RightM = 0.5, UpM = 1.05, OffM = 0.2, SaltAir = true, CoilProtected = true },
                Drain = new DrainDesign { EndUpM = 0.6, PitchDeg = 2, RollDeg = 1, TrayDeg = 1 },
                Sound = new SoundDesign { PillowM = 2.4, UnitToPillowM = 2.2, WallDb = 22, NeighbourM = 14 },
            },
            Energy = new EnergyDesign { SetpointC = 25, From = 21, To = 8, OtherwiseC = 27, StartSoc = 0.9 },
            Mount = new MountDesign
            {
                Frame = new FrameDesign
                {
                    Metal = MountMetal.Stainless,
                    Arm = Profile.Tube25,
                    Strut = Profile.Tube25,
                    BaseDeepM = 0.36,
                    BaseWideM = 0.58,
                    StandM = 0.14,
                    Surface = TouchingMetal.Stainless316,
                },
                Fixing = new FixingDesign { Grade = BoltClass.A480, Thread = ThreadFinish.Paste, BackingM = 0.08, SkinM = 0.006, EdgeM = 0.04 },
                Feet = new FeetDesign { EachNm = 9000, FromHz = 25 },
                Bear = new MustBearDesign { RollDeg = 22, RollS = 4.5, AboveRollM = 1.6, BesideRollM = 0.4, GustMs = 28 },
                Road = new RoadDesign { BoatKg = 7600, OffMiddleM = 0.4, MetacentreM = 1.05, HullHoleM = 0.9, HullHoleOffM = 1.3 },
            },
            Plan = Planned("2027-01-18", [Ottoline, Piet, Wren]),
            Wiring = new WiringDesign
            {
                Branch = new BranchDesign { RouteM = 7, Way = WireWay.Sheathed, Residual = ResidualKind.TypeFb, Insulation = WireInsulation.C90 },
                Battery = new BatteryWiringDesign { FuseM = 0.18, Fuse = FuseClass.ClassT, TorqueNm = 20, StudM = 10 },
                Bonding = new BondingDesign { Generator = BondRule.WhenSourcing, GalvanicIsolator = true, GalvanicA = 32 },
                Between = new BetweenDesign { Pump = true, Fed = PumpArrangement.OutdoorFed, FromDcM = 0.4 },
            },
            Handover = new HandoverDesign { Firm = Firm },
        };
    }

    private static JobDesign SeedHouse()
    {
        var rig = RigPresets.New(RigKind.Workshop, "Seed House 4");
        return rig with
        {
            NextDate = "2027-02-10",
            Survey = rig.Survey with
            {
                Place = SaltpanFlat,
                Climate = SaltpanYear,
                HeadingDeg = 0,
                Space = rig.Survey.Space with { LengthM = 6, WidthM = 4, HeightM = 2.5, AirChangesPerHour = 0.4, HeatCapacityJm2K = 120000 },
                Walls = rig.Survey.Walls with { Preset = "earth", InsulationM = 0.060, Insulation = "cork", Paint = "earth" },
                Roof = rig.Survey.Roof with { InsulationM = 0.120, Paint = "white-aged" },
                Windows = [new WindowDesign { Name = "north light", Side = Side.Front, WidthM = 0.9, HeightM = 0.6, Glazing = "double", Cover = "none" }],
                People = new PeopleDesign { Count = 1, Activity = Activity.LightWork, AwakeFrom = 9, AwakeTo = 11, SleepHere = false },
                Devices = [],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign { Fitted = false },
                    Inverter = new InverterDesign { Fitted = false },
                    Modules = Large(8) with { Mounting = ModuleMounting.WellCooled, Series = 4 },
                    Controller = new ControllerDesign { Known = true, MaxV = 250, MinV = 60, TrackMaxV = 230, MaxIscA = 40, MaxCurrentA = 28 },
                },
            },
            Load = new LoadDesign { SetpointC = 18, HumidityPct = 45 },
            Unit = new UnitDesign { Own = [SunSplit], Chosen = SunSplit.Id, School = SizingSchool.OversizedOnPurpose, InletRiseK = 1 },
            Layout = new LayoutDesign
            {
                Wall = new WallDesign
                {
                    Side = WallSide.Left,
                    Build = WallBuild.Masonry,
                    ThicknessM = 0.30,
                    RibPitchM = 0,
                    Scanned = true,
                    Things = [new ThingDesign { Name = "vent", Kind = ThingKind.Hatch, LeftM = 4.3, LowM = 1.9, WidthM = 0.3, HeightM = 0.2 }],
                },
                Head = new HeadSpotDesign { LeftM = 2.4, LowM = 1.95, DrillM = 0.5 },
                Outdoor = new OutdoorSpotDesign { Place = OutdoorPlace.Pad, RightM = 3.6, UpM = 0.1, OffM = 0.15, DisconnectM = 4.7 },
                Drain = new DrainDesign { EndUpM = 0.1, Pit = true, SoaksLh = 60 },
                Sound = new SoundDesign { AtNight = false, NeighbourM = 40 },
            },
            Start = new StartDesign { On = SourceChoice.Sun },
            Energy = new EnergyDesign { SetpointC = 18, From = 9, To = 17, OtherwiseC = 18, StartHour = 6 },
            Mount = new MountDesign
            {
                Fixing = new FixingDesign { PullN = 3200, ShearN = 3600, EdgeM = 0.1 },
                Feet = new FeetDesign { EachNm = 14000, FromHz = 20, ToHz = 100 },
                Bear = new MustBearDesign { GustMs = 32 },
                Slab = new SlabDesign { LengthM = 1.05, WidthM = 0.65, ThickM = 0.11, SetsC = 16, Days = 9, TopM = 0.09 },
            },
            Plan = Planned("2027-02-10", [Ottoline, Piet, Wren]) with { Method = new MethodDesign { Permit = true, Heats = true } },
            Wiring = new WiringDesign
            {
                Rules = RuleBook.Iec,
                Branch = new BranchDesign { RouteM = 22, AirC = 40, Poles = 2, Insulation = WireInsulation.C75, Residual = ResidualKind.TypeFb },
                Pv = new PvWiringDesign { CableM = 14, IsolatorV = 600, IsolatorA = 60 },
            },
            Handover = new HandoverDesign { Firm = Firm },
        };
    }

    private static JobDesign ThistleVan()
    {
        var rig = RigPresets.New(RigKind.Rv, "Thistle Van");
        return rig with
        {
            NextDate = "2026-12-11",
            Units = UnitSystem.Customary,
            Survey = rig.Survey with
            {
                Place = NettleReach,
                Climate = ReachYear,
                HeadingDeg = 270,
                Space = rig.Survey.Space with { LengthM = 5.6, WidthM = 2.05, HeightM = 1.95 },
                Roof = rig.Survey.Roof with { InsulationM = 0.025, Paint = "white-aged" },
                Walls = rig.Survey.Walls with { InsulationM = 0.025, Paint = "tan" },
                Windows =
                [
                    new WindowDesign { Name = "windscreen", Side = Side.Front, WidthM = 1.7, HeightM = 0.8, Glazing = "windscreen", Cover = "none" },
                    new WindowDesign { Name = "left windows", Side = Side.Left, WidthM = 1.1, HeightM = 0.55, Count = 2, Cover = "light-curtain" },
                    new WindowDesign { Name = "right windows", Side = Side.Right, WidthM = 1.1, HeightM = 0.55, Count = 2, Cover = "light-curtain" },
                ],
                People = new PeopleDesign { Count = 2 },
                Devices =
                [
                    new DeviceDesign { Name = "fridge", PowerW = 110, Supply = DeviceSupply.Ac, OnAtStart = true },
                    new DeviceDesign { Name = "microwave", PowerW = 1200, From = 18, To = 18.25, Supply = DeviceSupply.Ac, OnAtStart = false },
                ],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign { Fitted = false },
                    Inverter = new InverterDesign { Fitted = false },
                    Generator = new GeneratorDesign
                    {
                        Fitted = true,
                        Kind = GeneratorKind.Conventional,
                        RatedW = 2600,
                        MaximumW = 3200,
                        AllowedFrom = 8,
                        AllowedTo = 22,
                        CoAlarm = true
                    },
                },
            },
            Unit = new UnitDesign { Chosen = "RT-11-115", Work = WorkKind.SoftStarter },
            Start = new StartDesign { On = SourceChoice.Generator, Remedy = StartRemedy.SoftStarter, Reduction = 0.65, CableM = 6 },
            Energy = new EnergyDesign { SetpointC = 25, From = 12, To = 21, OtherwiseC = 27, StartHour = 8 },
            Layout = new LayoutDesign
            {
                Opening = new OpeningDesign { RoofM = 0.058, RibM = 0.08, DrivingKg = 75, StaticKg = 230, CrownM = 14 },
                Sound = new SoundDesign { PillowM = 1.9, NeighbourM = 15, Faces = 0 },
            },
            Mount = new MountDesign
            {
                Road = new RoadDesign
                {
                    WheelbaseM = 3.25,
                    BehindM = 2.4,
                    FrontKg = 1390,
                    FrontMayKg = 1700,
                    RearKg = 1610,
                    RearMayKg = 1900,
                    HighM = 2.55,
                    TopM = 2.88,
                },
            },
            Plan = Planned("2026-12-11", [Piet]),
            Wiring = new WiringDesign
            {
                Branch = new BranchDesign { RouteM = 6, AirC = 50, Way = WireWay.Sheathed },
                Bonding = new BondingDesign { Generator = BondRule.WhenSourcing },
                SoftStarter = new SoftStarterDesign
                {
                    AbOhm = 1.6,
                    AcOhm = 6.3,
                    BcOhm = 4.7,
                    CommonColour = CoreColour.Black,
                    RunColour = CoreColour.Blue,
                    StartColour = CoreColour.Red,
                },
            },
            Handover = new HandoverDesign
            {
                Firm = Firm,
                Contact = "bench line 14",
                Owner = "the Thistle Van crew",
                Remarks = "Start the generator, let it run for two minutes, then switch the unit on. Microwave only with the unit off."
            },
            Service = new ServiceDesign
            {
                HandedOver = "2024-01-15",
                Dust = Dust.Dusty,
                FirstMonth = 4,
                LastMonth = 10,
                HoursADay = 5,
                KmADay = 25,
                Warranty = new WarrantyDesign { From = "2024-01-15", PartsYears = 2, CompressorYears = 5, LabourYears = 1, YearlyVisit = true },
            },
        };
    }
}
