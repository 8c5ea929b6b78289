using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>
/// What drives a space over the steps of its day: sol-air temperature per face and window, sun through the glass, gains, outdoor air.
/// Arrays are by step; <see cref="Drive"/> is step × chain, faces first, then windows.
/// </summary>
public sealed class SpaceDrivers
{
    private const double GlassEmittance = 0.84;

    private SpaceDrivers(int steps, int chains, int windows)
    {
        Chains = chains;
        Drive = new double[steps * chains];
        WindowSunW = new double[steps * windows];
        GlassSunW = new double[steps];
        OutdoorC = new double[steps];
        OutdoorRatio = new double[steps];
        GlobalWm2 = new double[steps];
        PeopleW = new double[steps];
        ApplianceConvectiveW = new double[steps];
        ApplianceRadiantW = new double[steps];
        PeopleLatentW = new double[steps];
        ApplianceLatentW = new double[steps];
    }

    public int Chains { get; }
    public double[] Drive { get; }
    public double[] WindowSunW { get; }
    public double[] GlassSunW { get; }
    public double[] OutdoorC { get; }
    public double[] OutdoorRatio { get; }
    public double[] GlobalWm2 { get; }
    public double[] PeopleW { get; }
    public double[] ApplianceConvectiveW { get; }
    public double[] ApplianceRadiantW { get; }
    public double[] PeopleLatentW { get; }
    public double[] ApplianceLatentW { get; }

    /// <summary>Seconds a step.</summary>
    public double StepS { get; private init; }

    /// <summary>Steps in the day.</summary>
    public int Steps => OutdoorC.Length;

    /// <summary>Sol-air temperature, °C.</summary>
    public static double SolAir(double airC, double absorptance, double irradiance, double emittance, double longWave, double filmWm2K) =>
        airC + (absorptance * irradiance - emittance * longWave) / filmWm2K;

    /// <summary>Convective and radiant gains of a step.</summary>
    public (double Convective, double Radiant) GainSplit(int step) =>
        (GainShares.SunConvective * GlassSunW[step] + GainShares.PeopleConvective * PeopleW[step] + ApplianceConvectiveW[step],
            GainShares.SunRadiant * GlassSunW[step] + GainShares.PeopleRadiant * PeopleW[step] + ApplianceRadiantW[step]);

    /// <summary>Moisture given off inside in a step, as latent heat, W.</summary>
    public double LatentW(int step) => PeopleLatentW[step] + ApplianceLatentW[step];

    /// <summary>Sol-air temperatures of a step.</summary>
    public ReadOnlySpan<double> At(int step) => Drive.AsSpan(step * Chains, Chains);

    /// <summary>Prepares a day, or any row of equal steps that begins at midnight.</summary>
    /// <param name="space">The space.</param>
    /// <param name="day">Weather by step.</param>
    /// <param name="stepS">Seconds a step; a whole day of them where nothing is said.</param>
    public static SpaceDrivers Build(SpaceDescription space, WeatherMoment[] day, double? stepS = null)
    {
        var stepH = (stepS ?? 86400.0 / day.Length) / 3600;
        var drivers = new SpaceDrivers(day.Length, space.Faces.Count + space.Windows.Count, space.Windows.Count) { StepS = 3600 * stepH };
        for (var step = 0; step < day.Length; step++)
        {
            drivers.OutdoorC[step] = day[step].AirC;
            drivers.OutdoorRatio[step] = day[step].HumidityRatio;
            drivers.GlobalWm2[step] = day[step].Sky.Global;
            drivers.FillGains(space, step, (int)((step + 0.5) * stepH % 24));
        }
        var sun = new SunKept(day, stepH);
        var series = new double[day.Length];
        for (var i = 0; i < space.Faces.Count; i++)
        {
            FaceDrive(space, space.Faces[i], sun, series);
            drivers.Spread(series, i);
        }
        for (var i = 0; i < space.Windows.Count; i++)
        {
            var window = space.Windows[i];
            WindowDrive(space, window, sun, series);
            drivers.Spread(series, space.Faces.Count + i);
            var through = sun.On(space, window.TiltDeg, window.RelativeAzimuthDeg).Behind(window.DoublePane);
            for (var step = 0; step < day.Length; step++)
            {
                var watts = window.SunGain * window.AreaM2 * through[step];
                drivers.WindowSunW[step * space.Windows.Count + i] = watts;
                drivers.GlassSunW[step] += watts;
            }
        }
        return drivers;
    }

    /// <summary>Sol-air temperature of one face over the steps.</summary>
    /// <param name="space">The space it belongs to.</param>
    /// <param name="face">The face.</param>
    /// <param name="sun">Sun and weather.</param>
    /// <param name="solAirC">Filled, one value a step.</param>
    public static void FaceDrive(SpaceDescription space, OpaqueFace face, SunKept sun, double[] solAirC)
    {
        var weather = sun.Weather;
        if (face.FarSide is not (FarSide.OutdoorAir or FarSide.Attic))
        {
            Behind(space, face.FarSide, face.RoomC, weather, solAirC);
            return;
        }
        var on = sun.On(space, face.TiltDeg, face.RelativeAzimuthDeg);
        var film = face.FarSide == FarSide.Attic ? SkyLongWave.OutsideFilm(space.Weather.WindMs, face.Emittance, 293.15)
            : ThermalSpace.OutsideFilm(face, space.Weather.WindMs);
        var absorptance = face.Attic?.Absorptance ?? face.Absorptance;
        var open = 1 - face.Modules.Share;
        var (seesGround, fromModules) = (GroundView(face.TiltDeg) * RadiationWm2K, face.Modules.Share * face.Modules.RiseKPerWm2 * RadiationWm2K);
        for (var step = 0; step < weather.Length; step++)
        {
            ref readonly var at = ref weather[step];
            // What the sky takes less what warm ground and warm backs of modules give.
            var longWave = open * on.SkyView(step) * at.SkyDeficitWm2 - seesGround * GroundRise(space, at) - fromModules * at.Sky.Global;
            solAirC[step] = SolAir(at.AirC, absorptance, open * on.OnFace(step), face.Emittance, longWave, film);
        }
        if (face.Attic is { } attic)
            attic.Follow(solAirC, weather, film,
                Layers.Transmittance(face.Layers, Layers.InsideFilmCooling(face.TiltDeg), Attic.FilmR) + face.ExtraTransmittance, space.SetpointC,
                sun.StepH * 3600);
    }

    /// <summary>Radiation between a face and what it sees near outdoor temperatures, 4σT³ at 300 K, W/m²K.</summary>
    private const double RadiationWm2K = 6.1;

    /// <summary>What an upright face sees of the ground: half of all.</summary>
    private static double GroundView(double tiltDeg) => (1 - Math.Cos(double.DegreesToRadians(tiltDeg))) / 2;

    /// <summary>How much warmer than the air the ground beside a rig is, K.</summary>
    private static double GroundRise(SpaceDescription space, in WeatherMoment at) =>
        space.OnWater ? space.WaterC - at.AirC : space.GroundHeatKPerWm2 * at.Sky.Global;

    /// <summary>Temperature of what no sun reaches behind a face or a pane.</summary>
    private static void Behind(SpaceDescription space, FarSide far, double roomC, WeatherMoment[] weather, double[] temperatureC)
    {
        var (rise, perSun) = far switch
        {
            FarSide.UnderVehicle => (0, space.RoadHeatKPerWm2),
            FarSide.Neighbour => (space.NeighbourRiseK, 0.0),
            _ => (0, 0),
        };
        for (var step = 0; step < weather.Length; step++)
            temperatureC[step] = far switch
            {
                FarSide.Water => space.WaterC,
                FarSide.Ground => space.GroundC,
                FarSide.Room => roomC,
                _ => weather[step].AirC + rise + perSun * weather[step].Sky.Global,
            };
    }

    /// <summary>Outside temperature of one window over the steps.</summary>
    /// <param name="space">The space it belongs to.</param>
    /// <param name="window">The window.</param>
    /// <param name="sun">Sun and weather.</param>
    /// <param name="solAirC">Filled, one value a step.</param>
    public static void WindowDrive(SpaceDescription space, GlassFace window, SunKept sun, double[] solAirC)
    {
        if (window.FarSide != FarSide.OutdoorAir)
        {
            Behind(space, window.FarSide, window.RoomC, sun.Weather, solAirC);
            return;
        }
        var on = sun.On(space, window.TiltDeg, window.RelativeAzimuthDeg);
        var film = SkyLongWave.OutsideFilm(space.Weather.WindMs, GlassEmittance, 293.15);
        var seesGround = GroundView(window.TiltDeg) * RadiationWm2K;
        for (var step = 0; step < solAirC.Length; step++)
        {
            ref readonly var at = ref sun.Weather[step];
            solAirC[step] = SolAir(at.AirC, 0, 0, GlassEmittance, on.SkyView(step) * at.SkyDeficitWm2 - seesGround * GroundRise(space, at), film);
        }
    }

    private void Spread(double[] series, int chain)
    {
        for (var step = 0; step < series.Length; step++)
            Drive[step * Chains + chain] = series[step];
    }

    private void FillGains(SpaceDescription space, int step, int hour)
    {
        foreach (var gain in space.Gains)
        {
            if (gain.Kind == GainKind.People)
            {
                PeopleW[step] += gain.SensibleW[hour];
                PeopleLatentW[step] += gain.LatentW[hour];
                continue;
            }
            ApplianceConvectiveW[step] += gain.SensibleW[hour] * (1 - gain.RadiantShare);
            ApplianceRadiantW[step] += gain.SensibleW[hour] * gain.RadiantShare;
            ApplianceLatentW[step] += gain.LatentW[hour];
        }
    }
}
