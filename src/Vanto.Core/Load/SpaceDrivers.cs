using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>
/// What drives a space over the steps of its day: sol-air temperature per face and window, sun through the glass, gains, outdoor air.
/// Arrays are by step; <see cref="Drive"/> is step × chain, faces first, then windows.
/// </summary>
public sealed class SpaceDrivers
{
    private static readonly double[] Angles = [0, 40, 50, 60, 70, 80, 90];
    private static readonly double[] Single = [1, 0.98, 0.95, 0.91, 0.78, 0.49, 0];
    private static readonly double[] Double = [1, 0.97, 0.93, 0.84, 0.66, 0.34, 0];
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

    /// <summary>Steps in the day.</summary>
    public int Steps => OutdoorC.Length;

    /// <summary>Share of the sun at an angle of incidence that a pane lets through against normal incidence.</summary>
    public static double IncidenceModifier(double incidenceDeg, bool doublePane) => Roots.Interpolate(Angles, doublePane ? Double : Single, incidenceDeg);

    /// <summary>The same for diffuse sun.</summary>
    public static double DiffuseModifier(bool doublePane) => doublePane ? 0.87 : 0.91;

    /// <summary>Sol-air temperature, °C.</summary>
    public static double SolAir(double airC, double absorptance, double irradiance, double emittance, double longWave, double filmWm2K) =>
        airC + (absorptance * irradiance - emittance * longWave) / filmWm2K;

    /// <summary>Convective and radiant gains of a step: sun through glass 0.7 to the contents, people 0.6.</summary>
    public (double Convective, double Radiant) GainSplit(int step) =>
        (0.3 * GlassSunW[step] + 0.4 * PeopleW[step] + ApplianceConvectiveW[step], 0.7 * GlassSunW[step] + 0.6 * PeopleW[step] + ApplianceRadiantW[step]);

    /// <summary>Sol-air temperatures of a step.</summary>
    public ReadOnlySpan<double> At(int step) => Drive.AsSpan(step * Chains, Chains);

    /// <summary>Prepares the day.</summary>
    public static SpaceDrivers Build(SpaceDescription space, WeatherMoment[] day)
    {
        var drivers = new SpaceDrivers(day.Length, space.Faces.Count + space.Windows.Count, space.Windows.Count);
        var extraterrestrial = Sun.Extraterrestrial(Sun.DayOfYear(space.Weather.Month, space.Weather.Day));
        var films = space.Faces.Select(f => ThermalSpace.OutsideFilm(f, space.Weather.WindMs)).ToArray();
        var glassFilm = SkyLongWave.OutsideFilm(space.Weather.WindMs, GlassEmittance, 293.15);
        for (var step = 0; step < day.Length; step++)
        {
            drivers.OutdoorC[step] = day[step].AirC;
            drivers.OutdoorRatio[step] = day[step].HumidityRatio;
            drivers.GlobalWm2[step] = day[step].Sky.Global;
            drivers.FillGains(space, step, (int)((step + 0.5) * 24 / day.Length));
            drivers.FillFaces(space, day[step], step, films, extraterrestrial);
            drivers.FillWindows(space, day[step], step, glassFilm, extraterrestrial);
        }
        return drivers;
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

    private void FillFaces(SpaceDescription space, in WeatherMoment moment, int step, double[] films, double extraterrestrial)
    {
        for (var i = 0; i < space.Faces.Count; i++)
        {
            var face = space.Faces[i];
            Drive[step * Chains + i] = face.FarSide switch
            {
                FarSide.Water => space.WaterC,
                FarSide.Ground => space.GroundC,
                FarSide.UnderVehicle => moment.AirC + space.RoadHeatKPerWm2 * moment.Sky.Global,
                _ => SkinSolAir(space, face, moment, films[i], extraterrestrial),
            };
        }
    }

    private static double SkinSolAir(SpaceDescription space, OpaqueFace face, in WeatherMoment moment, double film, double extraterrestrial)
    {
        var sun = OnFace(space, moment, face.TiltDeg, face.RelativeAzimuthDeg, extraterrestrial);
        var cover = face.TiltDeg < 45 ? space.OverheadCover : 1;
        var irradiance = cover * (sun.Beam + sun.Circumsolar + sun.Sky) + sun.Ground;
        var longWave = cover * SkyLongWave.Correction(moment.AirC, moment.SkyC, face.TiltDeg);
        return SolAir(moment.AirC, face.Absorptance, irradiance, face.Emittance, longWave, film);
    }

    private void FillWindows(SpaceDescription space, in WeatherMoment moment, int step, double film, double extraterrestrial)
    {
        for (var i = 0; i < space.Windows.Count; i++)
        {
            var window = space.Windows[i];
            var sun = OnFace(space, moment, window.TiltDeg, window.RelativeAzimuthDeg, extraterrestrial);
            var cover = window.TiltDeg < 45 ? space.OverheadCover : 1;
            var longWave = cover * SkyLongWave.Correction(moment.AirC, moment.SkyC, window.TiltDeg);
            Drive[step * Chains + space.Faces.Count + i] = SolAir(moment.AirC, 0, 0, GlassEmittance, longWave, film);
            var incidence = Math.Acos(Math.Clamp(sun.CosIncidence, 0, 1)) * 180 / Math.PI;
            var through = window.AreaM2 * window.Shgc * window.InteriorShade * window.ExteriorShade
                * (cover * (sun.Beam + sun.Circumsolar) * IncidenceModifier(incidence, window.DoublePane)
                    + (cover * sun.Sky + sun.Ground) * DiffuseModifier(window.DoublePane));
            WindowSunW[step * space.Windows.Count + i] = through;
            GlassSunW[step] += through;
        }
    }

    private static FaceIrradiance OnFace(SpaceDescription space, in WeatherMoment moment, double tilt, double relativeAzimuth, double extraterrestrial) =>
        Irradiance.OnFace(moment.Sky, moment.Sun.ZenithDeg, moment.Sun.AzimuthDeg, tilt, (space.HeadingDeg + relativeAzimuth) % 360, extraterrestrial, space.Weather.Albedo);
}
