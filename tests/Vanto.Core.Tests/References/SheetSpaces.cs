using Vanto.Core.Load;
using Vanto.Core.Physics;

namespace Vanto.Core.Tests.References;

/// <summary>Three invented check spaces whose results were computed twice, independently, outside this project.</summary>
public static class SheetSpaces
{
    private static readonly Layer[] VanSkin = [Layer.Of("steel", 0.0009), Layer.Of("pe-foam", 0.025), Layer.Gap(0.13), Layer.Of("plywood", 0.006)];

    public static SpaceDescription Van { get; } = new()
    {
        Weather = new DesignWeather
        {
            LatitudeDeg = 34.2,
            LongitudeDeg = -114.0,
            UtcOffsetH = -7,
            ElevationM = 250,
            Month = 7,
            Day = 21,
            DryBulbC = 43,
            DailyRangeK = 14,
            HumidityRatioAtPeak = MoistAir.RatioFromWetBulb(43, 21.5, Atmosphere.Pressure(250)),
            LinkeTurbidity = 4.0,
            Albedo = 0.25,
            WindMs = 2,
        },
        HeadingDeg = 180,
        SetpointC = 25,
        SetpointRhPct = 50,
        VolumeM3 = 13.5,
        FloorM2 = 7.6,
        MassJm2K = 40e3,
        AirChangesPerHour = 1.5,
        Faces =
        [
            new OpaqueFace
            {
                Name = "roof",
                Kind = FaceKind.Roof,
                AreaM2 = 7.4,
                TiltDeg = 0,
                RelativeAzimuthDeg = 0,
                Layers = VanSkin,
                Absorptance = 0.30,
                ExtraTransmittance = 0.55,
            },
            new OpaqueFace
            {
                Name = "left",
                Kind = FaceKind.Wall,
                AreaM2 = 8.2,
                TiltDeg = 90,
                RelativeAzimuthDeg = 270,
                Layers = VanSkin,
                Absorptance = 0.30,
                ExtraTransmittance = 0.55,
            },
            new OpaqueFace
            {
                Name = "right",
                Kind = FaceKind.Wall,
                AreaM2 = 8.2,
                TiltDeg = 90,
                RelativeAzimuthDeg = 90,
                Layers = VanSkin,
                Absorptance = 0.30,
                ExtraTransmittance = 0.55,
            },
            new OpaqueFace
            {
                Name = "rear",
                Kind = FaceKind.Wall,
                AreaM2 = 3.0,
                TiltDeg = 90,
                RelativeAzimuthDeg = 180,
                Layers = VanSkin,
                Absorptance = 0.30,
                ExtraTransmittance = 0.80,
            },
            new OpaqueFace
            {
                Name = "front",
                Kind = FaceKind.Wall,
                AreaM2 = 1.6,
                TiltDeg = 80,
                RelativeAzimuthDeg = 0,
                Layers = [Layer.Of("steel", 0.0009), Layer.Of("felt", 0.010), Layer.Gap(0.13), Layer.Of("vinyl", 0.003)],
                Absorptance = 0.30,
                ExtraTransmittance = 1.0,
            },
            new OpaqueFace
            {
                Name = "floor",
                Kind = FaceKind.Floor,
                AreaM2 = 7.6,
                TiltDeg = 180,
                RelativeAzimuthDeg = 0,
                Layers = [Layer.Of("steel", 0.0009), Layer.Of("xps", 0.020), Layer.Of("plywood", 0.012), Layer.Of("vinyl", 0.003)],
                Absorptance = 0.30,
                ExtraTransmittance = 0.30,
                FarSide = FarSide.UnderVehicle,
            },
        ],
        Windows =
        [
            new GlassFace
            {
                Name = "windscreen",
                AreaM2 = 1.7,
                TiltDeg = 50,
                RelativeAzimuthDeg = 0,
                WindowU = 5.8,
                Shgc = 0.72,
                DoublePane = false,
                InteriorShade = 0.45,
                ExteriorShade = 1,
                CoverR = 0.15,
            },
            new GlassFace
            {
                Name = "cab left",
                AreaM2 = 0.55,
                TiltDeg = 80,
                RelativeAzimuthDeg = 270,
                WindowU = 5.8,
                Shgc = 0.72,
                DoublePane = false,
                InteriorShade = 1,
                ExteriorShade = 1,
                CoverR = 0,
            },
            new GlassFace
            {
                Name = "cab right",
                AreaM2 = 0.55,
                TiltDeg = 80,
                RelativeAzimuthDeg = 90,
                WindowU = 5.8,
                Shgc = 0.72,
                DoublePane = false,
                InteriorShade = 1,
                ExteriorShade = 1,
                CoverR = 0,
            },
            new GlassFace
            {
                Name = "hatch",
                AreaM2 = 0.16,
                TiltDeg = 0,
                RelativeAzimuthDeg = 0,
                WindowU = 3.5,
                Shgc = 0.70,
                DoublePane = true,
                InteriorShade = 0.5,
                ExteriorShade = 1,
                CoverR = 0,
            },
        ],
        Gains =
        [
            Gain("one at the bench", GainKind.People, 0.6, 80, 140, 8, 18),
            Gain("always on", GainKind.Appliances, 0.3, 120, 0, 0, 24),
            Gain("tools", GainKind.Appliances, 0.3, 180, 0, 8, 18),
        ],
    };

    public static SpaceDescription Bus { get; } = BuildBus();

    public static SpaceDescription Boat { get; } = BuildBoat();

    public static HourlyGain Gain(string name, GainKind kind, double radiant, double sensible, double latent, int from, int to)
    {
        var s = new double[24];
        var l = new double[24];
        for (var hour = from; hour < to; hour++)
        {
            s[hour] = sensible;
            l[hour] = latent;
        }
        return new HourlyGain(name, kind, radiant, s, l);
    }

    private static HourlyGain[] DayAndNight(int people, double sensible, double latent, int from, int to) =>
    [
        Gain("awake", GainKind.People, 0.6, people * sensible, people * latent, from, to),
        Gain("asleep", GainKind.People, 0.6, people * 45, people * 25, 0, from),
        Gain("asleep", GainKind.People, 0.6, people * 45, people * 25, to, 24),
    ];

    private static SpaceDescription BuildBus()
    {
        Layer[] skin = [Layer.Of("steel", 0.0012), Layer.Of("pu-closed", 0.030), Layer.Of("plywood", 0.009)];
        return new SpaceDescription
        {
            Weather = new DesignWeather
            {
                LatitudeDeg = 30.2,
                LongitudeDeg = -92.5,
                UtcOffsetH = -6,
                ElevationM = 12,
                Month = 7,
                Day = 21,
                DryBulbC = 35,
                DailyRangeK = 10,
                HumidityRatioAtPeak = MoistAir.RatioFromWetBulb(35, 26, Atmosphere.Pressure(12)),
                LinkeTurbidity = 4.5,
                Albedo = 0.20,
                WindMs = 2,
            },
            HeadingDeg = 180,
            SetpointC = 24.5,
            SetpointRhPct = 50,
            VolumeM3 = 46,
            FloorM2 = 23,
            MassJm2K = 45e3,
            AirChangesPerHour = 1.0,
            FreshAirM3s = 0.010,
            Faces =
            [
                new OpaqueFace
                {
                    Name = "roof",
                    Kind = FaceKind.Roof,
                    AreaM2 = 24,
                    TiltDeg = 0,
                    RelativeAzimuthDeg = 0,
                    Layers = [Layer.Of("steel", 0.0012), Layer.Of("pu-closed", 0.050), Layer.Of("plywood", 0.009)],
                    Absorptance = 0.25,
                    ExtraTransmittance = 0.35,
                },
                new OpaqueFace
                {
                    Name = "left",
                    Kind = FaceKind.Wall,
                    AreaM2 = 15.5,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 270,
                    Layers = skin,
                    Absorptance = 0.60,
                    ExtraTransmittance = 0.45,
                },
                new OpaqueFace
                {
                    Name = "right",
                    Kind = FaceKind.Wall,
                    AreaM2 = 15.0,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 90,
                    Layers = skin,
                    Absorptance = 0.60,
                    ExtraTransmittance = 0.45,
                },
                new OpaqueFace
                {
                    Name = "rear",
                    Kind = FaceKind.Wall,
                    AreaM2 = 4.6,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 180,
                    Layers = skin,
                    Absorptance = 0.60,
                    ExtraTransmittance = 0.45,
                },
                new OpaqueFace
                {
                    Name = "front",
                    Kind = FaceKind.Wall,
                    AreaM2 = 2.8,
                    TiltDeg = 85,
                    RelativeAzimuthDeg = 0,
                    Layers = skin,
                    Absorptance = 0.60,
                    ExtraTransmittance = 0.45,
                },
                new OpaqueFace
                {
                    Name = "floor",
                    Kind = FaceKind.Floor,
                    AreaM2 = 23,
                    TiltDeg = 180,
                    RelativeAzimuthDeg = 0,
                    Layers = [Layer.Of("steel", 0.0012), Layer.Of("xps", 0.025), Layer.Of("plywood", 0.015), Layer.Of("vinyl", 0.003)],
                    Absorptance = 0.30,
                    ExtraTransmittance = 0.25,
                    FarSide = FarSide.UnderVehicle,
                },
            ],
            Windows =
            [
                new GlassFace
                {
                    Name = "windscreen",
                    AreaM2 = 2.6,
                    TiltDeg = 80,
                    RelativeAzimuthDeg = 0,
                    WindowU = 5.8,
                    Shgc = 0.75,
                    DoublePane = false,
                    InteriorShade = 0.45,
                    ExteriorShade = 1,
                    CoverR = 0.15,
                },
                new GlassFace
                {
                    Name = "left",
                    AreaM2 = 3.6,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 270,
                    WindowU = 5.8,
                    Shgc = 0.60,
                    DoublePane = false,
                    InteriorShade = 0.65,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
                new GlassFace
                {
                    Name = "right",
                    AreaM2 = 3.6,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 90,
                    WindowU = 5.8,
                    Shgc = 0.60,
                    DoublePane = false,
                    InteriorShade = 0.65,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
                new GlassFace
                {
                    Name = "rear",
                    AreaM2 = 0.8,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 180,
                    WindowU = 5.8,
                    Shgc = 0.60,
                    DoublePane = false,
                    InteriorShade = 0.30,
                    ExteriorShade = 1,
                    CoverR = 0.5,
                },
            ],
            Gains =
            [
                .. DayAndNight(2, 70, 45, 7, 22),
                Gain("always", GainKind.Appliances, 0.3, 160, 0, 0, 24),
                Gain("day", GainKind.Appliances, 0.3, 250, 0, 8, 22),
                Gain("cooking", GainKind.Appliances, 0.4, 400, 170, 18, 19),
            ],
        };
    }

    private static SpaceDescription BuildBoat()
    {
        Layer[] deck = [Layer.Of("grp", 0.006), Layer.Of("balsa", 0.019), Layer.Of("grp", 0.004), Layer.Gap(0.13), Layer.Of("plywood", 0.006)];
        Layer[] side = [Layer.Of("grp", 0.010), Layer.Gap(0.15), Layer.Of("plywood", 0.006)];
        return new SpaceDescription
        {
            Weather = new DesignWeather
            {
                LatitudeDeg = 17.9,
                LongitudeDeg = -62.6,
                UtcOffsetH = -4,
                ElevationM = 0,
                Month = 8,
                Day = 21,
                DryBulbC = 32,
                DailyRangeK = 6,
                HumidityRatioAtPeak = MoistAir.RatioFromWetBulb(32, 26.5, Atmosphere.Pressure(0)),
                LinkeTurbidity = 4.5,
                Albedo = 0.07,
                WindMs = 4,
            },
            HeadingDeg = 80,
            SetpointC = 25,
            SetpointRhPct = 55,
            VolumeM3 = 24,
            FloorM2 = 15,
            MassJm2K = 70e3,
            AirChangesPerHour = 2.0,
            WaterC = 29,
            Faces =
            [
                new OpaqueFace
                {
                    Name = "deck",
                    Kind = FaceKind.Roof,
                    AreaM2 = 16,
                    TiltDeg = 0,
                    RelativeAzimuthDeg = 0,
                    Layers = deck,
                    Absorptance = 0.30,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "coachroof left",
                    Kind = FaceKind.Wall,
                    AreaM2 = 2.2,
                    TiltDeg = 75,
                    RelativeAzimuthDeg = 270,
                    Layers = deck,
                    Absorptance = 0.25,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "coachroof right",
                    Kind = FaceKind.Wall,
                    AreaM2 = 2.2,
                    TiltDeg = 75,
                    RelativeAzimuthDeg = 90,
                    Layers = deck,
                    Absorptance = 0.25,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "topside left",
                    Kind = FaceKind.Wall,
                    AreaM2 = 7,
                    TiltDeg = 95,
                    RelativeAzimuthDeg = 270,
                    Layers = side,
                    Absorptance = 0.55,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "topside right",
                    Kind = FaceKind.Wall,
                    AreaM2 = 7,
                    TiltDeg = 95,
                    RelativeAzimuthDeg = 90,
                    Layers = side,
                    Absorptance = 0.55,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "transom",
                    Kind = FaceKind.Wall,
                    AreaM2 = 2,
                    TiltDeg = 90,
                    RelativeAzimuthDeg = 180,
                    Layers = side,
                    Absorptance = 0.55,
                    ExtraTransmittance = 0,
                },
                new OpaqueFace
                {
                    Name = "hull",
                    Kind = FaceKind.Floor,
                    AreaM2 = 17,
                    TiltDeg = 150,
                    RelativeAzimuthDeg = 0,
                    Layers = [Layer.Of("grp", 0.014), Layer.Gap(0.17), Layer.Of("plywood", 0.012)],
                    Absorptance = 0.30,
                    ExtraTransmittance = 0,
                    FarSide = FarSide.Water,
                },
            ],
            Windows =
            [
                new GlassFace
                {
                    Name = "hatches",
                    AreaM2 = 0.75,
                    TiltDeg = 0,
                    RelativeAzimuthDeg = 0,
                    WindowU = 5.4,
                    Shgc = 0.80,
                    DoublePane = false,
                    InteriorShade = 0.5,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
                new GlassFace
                {
                    Name = "ports left",
                    AreaM2 = 0.45,
                    TiltDeg = 75,
                    RelativeAzimuthDeg = 270,
                    WindowU = 5.4,
                    Shgc = 0.80,
                    DoublePane = false,
                    InteriorShade = 0.65,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
                new GlassFace
                {
                    Name = "ports right",
                    AreaM2 = 0.45,
                    TiltDeg = 75,
                    RelativeAzimuthDeg = 90,
                    WindowU = 5.4,
                    Shgc = 0.80,
                    DoublePane = false,
                    InteriorShade = 0.65,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
                new GlassFace
                {
                    Name = "companionway",
                    AreaM2 = 0.55,
                    TiltDeg = 70,
                    RelativeAzimuthDeg = 180,
                    WindowU = 5.4,
                    Shgc = 0.85,
                    DoublePane = false,
                    InteriorShade = 1,
                    ExteriorShade = 1,
                    CoverR = 0,
                },
            ],
            Gains =
            [
                .. DayAndNight(4, 70, 45, 8, 22),
                Gain("always", GainKind.Appliances, 0.3, 90, 0, 0, 24),
                Gain("day", GainKind.Appliances, 0.3, 120, 0, 8, 22),
                Gain("cooking", GainKind.Appliances, 0.4, 350, 150, 18, 19),
            ],
        };
    }
}
