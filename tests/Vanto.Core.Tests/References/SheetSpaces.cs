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
            new("roof", FaceKind.Roof, 7.4, 0, 0, VanSkin, 0.30, 0.55),
            new("left", FaceKind.Wall, 8.2, 90, 270, VanSkin, 0.30, 0.55),
            new("right", FaceKind.Wall, 8.2, 90, 90, VanSkin, 0.30, 0.55),
            new("rear", FaceKind.Wall, 3.0, 90, 180, VanSkin, 0.30, 0.80),
            new("front", FaceKind.Wall, 1.6, 80, 0, [Layer.Of("steel", 0.0009), Layer.Of("felt", 0.010), Layer.Gap(0.13), Layer.Of("vinyl", 0.003)], 0.30, 1.0),
            new("floor", FaceKind.Floor, 7.6, 180, 0, [Layer.Of("steel", 0.0009), Layer.Of("xps", 0.020), Layer.Of("plywood", 0.012), Layer.Of("vinyl", 0.003)], 0.30, 0.30, FarSide.UnderVehicle),
        ],
        Windows =
        [
            new("windscreen", 1.7, 50, 0, 5.8, 0.72, false, 0.45, 1, 0.15),
            new("cab left", 0.55, 80, 270, 5.8, 0.72, false, 1, 1, 0),
            new("cab right", 0.55, 80, 90, 5.8, 0.72, false, 1, 1, 0),
            new("hatch", 0.16, 0, 0, 3.5, 0.70, true, 0.5, 1, 0),
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
                new("roof", FaceKind.Roof, 24, 0, 0, [Layer.Of("steel", 0.0012), Layer.Of("pu-closed", 0.050), Layer.Of("plywood", 0.009)], 0.25, 0.35),
                new("left", FaceKind.Wall, 15.5, 90, 270, skin, 0.60, 0.45),
                new("right", FaceKind.Wall, 15.0, 90, 90, skin, 0.60, 0.45),
                new("rear", FaceKind.Wall, 4.6, 90, 180, skin, 0.60, 0.45),
                new("front", FaceKind.Wall, 2.8, 85, 0, skin, 0.60, 0.45),
                new("floor", FaceKind.Floor, 23, 180, 0, [Layer.Of("steel", 0.0012), Layer.Of("xps", 0.025), Layer.Of("plywood", 0.015), Layer.Of("vinyl", 0.003)], 0.30, 0.25, FarSide.UnderVehicle),
            ],
            Windows =
            [
                new("windscreen", 2.6, 80, 0, 5.8, 0.75, false, 0.45, 1, 0.15),
                new("left", 3.6, 90, 270, 5.8, 0.60, false, 0.65, 1, 0),
                new("right", 3.6, 90, 90, 5.8, 0.60, false, 0.65, 1, 0),
                new("rear", 0.8, 90, 180, 5.8, 0.60, false, 0.30, 1, 0.5),
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
                new("deck", FaceKind.Roof, 16, 0, 0, deck, 0.30, 0),
                new("coachroof left", FaceKind.Wall, 2.2, 75, 270, deck, 0.25, 0),
                new("coachroof right", FaceKind.Wall, 2.2, 75, 90, deck, 0.25, 0),
                new("topside left", FaceKind.Wall, 7, 95, 270, side, 0.55, 0),
                new("topside right", FaceKind.Wall, 7, 95, 90, side, 0.55, 0),
                new("transom", FaceKind.Wall, 2, 90, 180, side, 0.55, 0),
                new("hull", FaceKind.Floor, 17, 150, 0, [Layer.Of("grp", 0.014), Layer.Gap(0.17), Layer.Of("plywood", 0.012)], 0.30, 0, FarSide.Water),
            ],
            Windows =
            [
                new("hatches", 0.75, 0, 0, 5.4, 0.80, false, 0.5, 1, 0),
                new("ports left", 0.45, 75, 270, 5.4, 0.80, false, 0.65, 1, 0),
                new("ports right", 0.45, 75, 90, 5.4, 0.80, false, 0.65, 1, 0),
                new("companionway", 0.55, 70, 180, 5.4, 0.85, false, 1, 1, 0),
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
