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
        if (face.FarSide is FarSide.Water or FarSide.Ground)
        {
            Array.Fill(solAirC, face.FarSide == FarSide.Water ? space.WaterC : space.GroundC);
            return;
        }
        if (face.FarSide is FarSide.UnderVehicle or FarSide.Neighbour)
        {
            var (rise, perSun) = face.FarSide == FarSide.UnderVehicle ? (0.0, space.RoadHeatKPerWm2) : (space.NeighbourRiseK, 0.0);
            for (var step = 0; step < weather.Length; step++)
                solAirC[step] = weather[step].AirC + rise + perSun * weather[step].Sky.Global;
            return;
        }
        var on = sun.On(space, face.TiltDeg, face.RelativeAzimuthDeg);
        var film = ThermalSpace.OutsideFilm(face, space.Weather.WindMs);
        for (var step = 0; step < weather.Length; step++)
            solAirC[step] = SolAir(weather[step].AirC, face.Absorptance, on.OnFace(step), face.Emittance, on.SkyView(step) * weather[step].SkyDeficitWm2, film);
    }

    /// <summary>Outside temperature of one window over the steps.</summary>
    /// <param name="space">The space it belongs to.</param>
    /// <param name="window">The window.</param>
    /// <param name="sun">Sun and weather.</param>
    /// <param name="solAirC">Filled, one value a step.</param>
    public static void WindowDrive(SpaceDescription space, GlassFace window, SunKept sun, double[] solAirC)
    {
        var on = sun.On(space, window.TiltDeg, window.RelativeAzimuthDeg);
        var film = SkyLongWave.OutsideFilm(space.Weather.WindMs, GlassEmittance, 293.15);
        for (var step = 0; step < solAirC.Length; step++)
            solAirC[step] = SolAir(sun.Weather[step].AirC, 0, 0, GlassEmittance, on.SkyView(step) * sun.Weather[step].SkyDeficitWm2, film);
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
