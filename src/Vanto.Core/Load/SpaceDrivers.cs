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

    /// <summary>Prepares a day, or any row of equal steps that begins at midnight.</summary>
    /// <param name="space">The space.</param>
    /// <param name="day">Weather by step.</param>
    /// <param name="stepS">Seconds a step; a whole day of them where nothing is said.</param>
    public static SpaceDrivers Build(SpaceDescription space, WeatherMoment[] day, double? stepS = null)
    {
        var stepH = (stepS ?? 86400.0 / day.Length) / 3600;
        var drivers = new SpaceDrivers(day.Length, space.Faces.Count + space.Windows.Count, space.Windows.Count);
        for (var step = 0; step < day.Length; step++)
        {
            drivers.OutdoorC[step] = day[step].AirC;
            drivers.OutdoorRatio[step] = day[step].HumidityRatio;
            drivers.GlobalWm2[step] = day[step].Sky.Global;
            drivers.FillGains(space, step, (int)((step + 0.5) * stepH % 24));
        }
        var series = new double[day.Length];
        var sun = new double[day.Length];
        for (var i = 0; i < space.Faces.Count; i++)
        {
            FaceDrive(space, space.Faces[i], day, series, stepH);
            drivers.Spread(series, i);
        }
        for (var i = 0; i < space.Windows.Count; i++)
        {
            WindowDrive(space, space.Windows[i], day, series, sun, stepH);
            drivers.Spread(series, space.Faces.Count + i);
            for (var step = 0; step < day.Length; step++)
            {
                drivers.WindowSunW[step * space.Windows.Count + i] = sun[step];
                drivers.GlassSunW[step] += sun[step];
            }
        }
        return drivers;
    }

    /// <summary>Sol-air temperature of one face over the day.</summary>
    /// <param name="space">The space it belongs to.</param>
    /// <param name="face">The face.</param>
    /// <param name="day">Weather by step.</param>
    /// <param name="solAirC">Filled, one value a step.</param>
    /// <param name="stepH">Hours a step.</param>
    public static void FaceDrive(SpaceDescription space, OpaqueFace face, WeatherMoment[] day, double[] solAirC, double stepH)
    {
        if (face.FarSide is FarSide.Water or FarSide.Ground)
        {
            Array.Fill(solAirC, face.FarSide == FarSide.Water ? space.WaterC : space.GroundC);
            return;
        }
        if (face.FarSide is FarSide.UnderVehicle or FarSide.Neighbour)
        {
            var (rise, perSun) = face.FarSide == FarSide.UnderVehicle ? (0.0, space.RoadHeatKPerWm2) : (space.NeighbourRiseK, 0.0);
            for (var step = 0; step < day.Length; step++)
                solAirC[step] = day[step].AirC + rise + perSun * day[step].Sky.Global;
            return;
        }
        var look = new Look(space, face.TiltDeg, face.RelativeAzimuthDeg);
        var film = ThermalSpace.OutsideFilm(face, space.Weather.WindMs);
        for (var step = 0; step < day.Length; step++)
        {
            var sun = look.At(day[step], (step + 0.5) * stepH % 24);
            var irradiance = sun.BeamShare * (sun.Face.Beam + sun.Face.Circumsolar) + sun.SkyShare * sun.Face.Sky + sun.Face.Ground;
            solAirC[step] = SolAir(day[step].AirC, face.Absorptance, irradiance, face.Emittance, sun.SkyShare * look.SkyView * day[step].SkyDeficitWm2, film);
        }
    }

    /// <summary>Outside temperature and sun let through of one window over the day.</summary>
    /// <param name="space">The space it belongs to.</param>
    /// <param name="window">The window.</param>
    /// <param name="day">Weather by step.</param>
    /// <param name="solAirC">Filled, one value a step.</param>
    /// <param name="throughW">Filled, sun let through, W.</param>
    /// <param name="stepH">Hours a step.</param>
    public static void WindowDrive(SpaceDescription space, GlassFace window, WeatherMoment[] day, double[] solAirC, double[] throughW, double stepH)
    {
        var look = new Look(space, window.TiltDeg, window.RelativeAzimuthDeg);
        var film = SkyLongWave.OutsideFilm(space.Weather.WindMs, GlassEmittance, 293.15);
        var passes = window.AreaM2 * window.Shgc * window.InteriorShade * window.ExteriorShade;
        var diffuse = DiffuseModifier(window.DoublePane);
        for (var step = 0; step < day.Length; step++)
        {
            var sun = look.At(day[step], (step + 0.5) * stepH % 24);
            solAirC[step] = SolAir(day[step].AirC, 0, 0, GlassEmittance, sun.SkyShare * look.SkyView * day[step].SkyDeficitWm2, film);
            var direct = sun.BeamShare * (sun.Face.Beam + sun.Face.Circumsolar);
            var modified = direct <= 0 ? 0 : direct * IncidenceModifier(Math.Acos(Math.Min(1, sun.Face.CosIncidence)) * 180 / Math.PI, window.DoublePane);
            throughW[step] = passes * (modified + (sun.SkyShare * sun.Face.Sky + sun.Face.Ground) * diffuse);
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

    /// <summary>What a face sees of sun and sky, its shades counted.</summary>
    private readonly struct Look
    {
        private readonly SpaceDescription _space;
        private readonly Direction _normal;
        private readonly double _cover;
        private readonly double _azimuthDeg;
        private readonly double _tiltDeg;
        private readonly double _relativeDeg;

        public Look(SpaceDescription space, double tiltDeg, double relativeAzimuthDeg)
        {
            _space = space;
            _tiltDeg = tiltDeg;
            _azimuthDeg = (space.HeadingDeg + relativeAzimuthDeg) % 360;
            _normal = Direction.Of(tiltDeg, _azimuthDeg);
            _cover = tiltDeg < 45 ? space.OverheadCover : 1;
            _relativeDeg = relativeAzimuthDeg;
            SkyView = SkyLongWave.View(tiltDeg);
        }

        public double SkyView { get; }

        public (FaceIrradiance Face, double BeamShare, double SkyShare) At(in WeatherMoment moment, double hour)
        {
            var face = Irradiance.OnFace(moment.Sky, moment.ToSun, _normal, moment.ExtraterrestrialWm2, _space.Weather.Albedo);
            if (_space.Shades.Count == 0)
                return (face, _cover, _cover);
            double beam = _cover, sky = _cover;
            foreach (var shade in _space.Shades)
            {
                var (b, s) = shade.On(_tiltDeg, _relativeDeg, _azimuthDeg, moment.Sun, hour);
                beam *= b;
                sky *= s;
            }
            return (face, beam, sky);
        }
    }
}
