using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>Hourly cooling load of a held space, W; index 0 is 00 to 01.</summary>
public sealed record LoadCurve(double[] SensibleW, double[] LatentW)
{
    /// <summary>Hour with the largest total.</summary>
    public int PeakHour { get; } = Enumerable.Range(0, 24).MaxBy(h => SensibleW[h] + LatentW[h]);

    /// <summary>Largest hourly total, W.</summary>
    public double PeakW => SensibleW[PeakHour] + LatentW[PeakHour];

    /// <summary>Heat of the day, Wh.</summary>
    public double DayWh { get; } = SensibleW.Sum() + LatentW.Sum();
}

/// <summary>
/// The design cooling load for many variants of one rig on one day. While the air is held, faces know nothing of one another:
/// each one's flow over the repeating day is found once and kept by what it is made of, where it looks and at what it is held.
/// Agrees with <see cref="DesignCoolingLoad"/>, which solves one variant as a whole. Not for use by several threads at once.
/// </summary>
public sealed class HeldLoad(WeatherMoment[] day)
{
    private const double SettledK = 1e-3;
    private const int MostDays = 120;

    private readonly Dictionary<FaceKey, double[]> _faces = [];
    private readonly Dictionary<WindowKey, (double[] Warmth, double[] Sun)> _windows = [];
    private readonly double[] _series = new double[day.Length];
    private readonly double[] _sun = new double[day.Length];

    /// <summary>The load of one variant.</summary>
    public LoadCurve Solve(SpaceDescription space)
    {
        var sensible = new double[24];
        foreach (var face in space.Faces)
            Add(sensible, Flow(space, face), face.AreaM2);
        var sun = new double[day.Length];
        foreach (var window in space.Windows)
        {
            var (warmth, through) = Flow(space, window);
            Add(sensible, warmth, window.AreaM2);
            for (var k = 0; k < sun.Length; k++)
                sun[k] += through[k] * window.AreaM2;
        }
        var latent = new double[24];
        AddGains(space, sun, sensible, latent);
        return new LoadCurve(sensible, latent);
    }

    private static void Add(double[] hours, double[] perArea, double area)
    {
        for (var h = 0; h < 24; h++)
            hours[h] += perArea[h] * area;
    }

    private double[] Flow(SpaceDescription space, OpaqueFace face)
    {
        var key = FaceKey.Of(space, face);
        if (_faces.TryGetValue(key, out var known))
            return known;
        SpaceDrivers.FaceDrive(space, face, day, _series, 24.0 / day.Length);
        var chain = new SkinChains([SkinChain.Of(face with { AreaM2 = 1 }, ThermalSpace.OutsideFilm(face, space.Weather.WindMs), Layers.InsideFilmCooling(face.TiltDeg))]);
        chain.Prepare(86400.0 / day.Length);
        Array.Fill(chain.Temperatures, space.SetpointC);
        var before = new double[chain.NodeCount];
        for (var repeat = 0; repeat < MostDays; repeat++)
        {
            chain.Temperatures.CopyTo(before, 0);
            for (var k = 0; k < day.Length; k++)
            {
                chain.Forward(_series.AsSpan(k, 1));
                chain.Back(space.SetpointC);
            }
            var moved = 0.0;
            for (var i = 0; i < before.Length; i++)
                moved = Math.Max(moved, Math.Abs(before[i] - chain.Temperatures[i]));
            if (moved <= SettledK)
                break;
        }
        var flow = new double[24];
        for (var k = 0; k < day.Length; k++)
        {
            chain.Forward(_series.AsSpan(k, 1));
            chain.Back(space.SetpointC);
            flow[k * 24 / day.Length] += chain.FlowToAir(0, _series[k], space.SetpointC) * 24 / day.Length;
        }
        return _faces[key] = flow;
    }

    private (double[] Warmth, double[] Sun) Flow(SpaceDescription space, GlassFace window)
    {
        var key = WindowKey.Of(space, window);
        if (_windows.TryGetValue(key, out var known))
            return known;
        SpaceDrivers.WindowDrive(space, window with { AreaM2 = 1 }, day, _series, _sun, 24.0 / day.Length);
        var u = 1 / (1 / window.WindowU + window.CoverR);
        var warmth = new double[24];
        for (var k = 0; k < day.Length; k++)
            warmth[k * 24 / day.Length] += u * (_series[k] - space.SetpointC) * 24 / day.Length;
        return _windows[key] = (warmth, [.. _sun]);
    }

    private void AddGains(SpaceDescription space, double[] sunW, double[] sensible, double[] latent)
    {
        var perHour = day.Length / 24;
        var coupling = space.FloorM2 * space.MassCouplingWm2K;
        var perStep = space.FloorM2 * space.MassJm2K / (86400.0 / day.Length);
        var keep = perStep / (perStep + coupling);
        var exchange = space.InfiltrationKgS * MoistAir.VaporisationJPerKg;
        var (convective, radiant, damp) = Gains(space);
        double Radiant(int k) => 0.7 * sunW[k] + radiant[k / perHour];
        double swing = 0;
        for (var k = 0; k < day.Length; k++)
            swing = keep * swing + Radiant(k) / (perStep + coupling);
        // The contents' response repeats daily: what one day from rest leaves, divided by what a day forgets.
        swing /= 1 - Math.Pow(keep, day.Length);
        for (var k = 0; k < day.Length; k++)
        {
            var hour = k / perHour;
            swing = keep * swing + Radiant(k) / (perStep + coupling);
            sensible[hour] += (0.3 * sunW[k] + convective[hour] + coupling * swing + space.InfiltrationWK * (day[k].AirC - space.SetpointC)) / perHour;
            latent[hour] += Math.Max(0, exchange * (day[k].HumidityRatio - space.SetpointRatio) + damp[hour]) / perHour;
        }
    }

    private static (double[] Convective, double[] Radiant, double[] Damp) Gains(SpaceDescription space)
    {
        var (convective, radiant, damp) = (new double[24], new double[24], new double[24]);
        foreach (var gain in space.Gains)
            for (var h = 0; h < 24; h++)
            {
                convective[h] += gain.SensibleW[h] * (1 - gain.RadiantShare);
                radiant[h] += gain.SensibleW[h] * gain.RadiantShare;
                damp[h] += gain.LatentW[h];
            }
        return (convective, radiant, damp);
    }

    /// <summary>What a face's flow depends on; a face that lies flat looks the same way at every heading.</summary>
    private readonly record struct FaceKey(SkinKey Skin, double TiltDeg, double AzimuthDeg, double Absorptance, double Extra, FarSide Far, double Emittance, double Film, double Far0, double Cover, double SetpointC, string Shaded)
    {
        public static FaceKey Of(SpaceDescription space, OpaqueFace face) => new(
            new SkinKey(face.Layers), face.TiltDeg, face.TiltDeg is 0 or 180 && space.Shades.Count == 0 ? 0 : (space.HeadingDeg + face.RelativeAzimuthDeg) % 360, face.Absorptance, face.ExtraTransmittance, face.FarSide, face.Emittance,
            ThermalSpace.OutsideFilm(face, space.Weather.WindMs), face.FarSide switch { FarSide.Water => space.WaterC, FarSide.Ground => space.GroundC, FarSide.Neighbour => space.NeighbourRiseK, _ => space.RoadHeatKPerWm2 },
            face.TiltDeg < 45 ? space.OverheadCover : 1, space.SetpointC, Shade.Key(space, face.RelativeAzimuthDeg));
    }

    private readonly record struct WindowKey(double TiltDeg, double AzimuthDeg, double U, double Shgc, bool Double, double Inside, double Outside, double CoverR, double Cover, double SetpointC, string Shaded)
    {
        public static WindowKey Of(SpaceDescription space, GlassFace window) => new(
            window.TiltDeg, (space.HeadingDeg + window.RelativeAzimuthDeg) % 360, window.WindowU, window.Shgc, window.DoublePane, window.InteriorShade, window.ExteriorShade, window.CoverR,
            window.TiltDeg < 45 ? space.OverheadCover : 1, space.SetpointC, Shade.Key(space, window.RelativeAzimuthDeg));
    }

    private static class Shade
    {
        /// <summary>Shaded faces are told apart by side, heading and the shades themselves.</summary>
        public static string Key(SpaceDescription space, double relativeAzimuthDeg) =>
            space.Shades.Count == 0 ? "" : FormattableString.Invariant($"{relativeAzimuthDeg} {space.HeadingDeg} {string.Join(' ', space.Shades)}");
    }

    private readonly struct SkinKey(IReadOnlyList<Layer> layers) : IEquatable<SkinKey>
    {
        private readonly IReadOnlyList<Layer> _layers = layers;

        public bool Equals(SkinKey other) => ReferenceEquals(_layers, other._layers) || _layers.SequenceEqual(other._layers);

        public override bool Equals(object? obj) => obj is SkinKey other && Equals(other);

        public override int GetHashCode()
        {
            var hash = new HashCode();
            foreach (var layer in _layers)
                hash.Add(layer.ThicknessM);
            return hash.ToHashCode();
        }
    }
}
