using System.Collections.Concurrent;
using System.Numerics;
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
/// The design cooling load for many variants of one rig on one day. While the air is held, faces know nothing of one another and each is
/// linear: how a skin answers one step of warmth outside is found once (its response factors), and any drive is a sum of such answers.
/// Agrees with <see cref="DesignCoolingLoad"/>, which solves one variant as a whole. Several threads may ask at once.
/// </summary>
public sealed class HeldAirLoad(WeatherMoment[] day)
{
    private readonly SunKept _sun = new(day, 24.0 / day.Length);
    private readonly ConcurrentDictionary<SkinKey, SkinResponse> _skins = new();

    /// <summary>The load of one variant.</summary>
    public LoadCurve Solve(SpaceDescription space)
    {
        var sensible = new double[24];
        var latent = new double[24];
        var (through, series) = (new double[day.Length], new double[day.Length]);
        foreach (var face in space.Faces)
        {
            SpaceDrivers.FaceDrive(space, face, _sun, series);
            Response(space, face).Add(sensible, series, space.SetpointC, face.AreaM2);
        }
        foreach (var window in space.Windows)
        {
            SpaceDrivers.WindowDrive(space, window, _sun, series);
            var perHour = day.Length / 24;
            var (warmth, gain) = (window.AreaM2 * window.CoveredU / perHour, window.AreaM2 * window.SunGain);
            var behind = _sun.On(space, window.TiltDeg, window.RelativeAzimuthDeg).Behind(window.DoublePane);
            for (var k = 0; k < through.Length; k++)
            {
                sensible[k / perHour] += warmth * (series[k] - space.SetpointC);
                through[k] += gain * behind[k];
            }
        }
        AddGains(space, through, sensible, latent);
        return new LoadCurve(sensible, latent);
    }

    private SkinResponse Response(SpaceDescription space, OpaqueFace face)
    {
        var key = new SkinKey(face.Layers, face.ExtraTransmittance, ThermalSpace.OutsideFilm(face, space.Weather.WindMs),
            Layers.InsideFilmCooling(face.TiltDeg));
        if (_skins.TryGetValue(key, out var known))
            return known;
        return _skins[key] = new SkinResponse(SkinChain.Of(face with { AreaM2 = 1 }, key.Film, key.InsideFilm), day.Length);
    }

    private void AddGains(SpaceDescription space, double[] sunW, double[] sensible, double[] latent)
    {
        var perHour = day.Length / 24;
        var coupling = space.FloorM2 * space.MassCouplingWm2K;
        var perStep = space.FloorM2 * space.MassJm2K / (86400.0 / day.Length);
        var keep = perStep / (perStep + coupling);
        var (exchange, infiltration, heldRatio) = (space.InfiltrationKgS * MoistAir.VaporisationJPerKg, space.InfiltrationWK, space.SetpointRatio);
        var (convective, radiant, damp) = Gains(space);
        double Radiant(int k) => GainShares.SunRadiant * sunW[k] + radiant[k / perHour];
        double swing = 0;
        for (var k = 0; k < day.Length; k++)
            swing = keep * swing + Radiant(k) / (perStep + coupling);
        // The contents' response repeats daily: what one day from rest leaves, divided by what a day forgets.
        swing /= 1 - Math.Pow(keep, day.Length);
        for (var k = 0; k < day.Length; k++)
        {
            var hour = k / perHour;
            swing = keep * swing + Radiant(k) / (perStep + coupling);
            sensible[hour] +=
                (GainShares.SunConvective * sunW[k] + convective[hour] + coupling * swing + infiltration * (day[k].AirC - space.SetpointC)) / perHour;
            latent[hour] += Math.Max(0, exchange * (day[k].HumidityRatio - heldRatio) + damp[hour]) / perHour;
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

    /// <summary>What a skin's answer depends on.</summary>
    private readonly struct SkinKey(IReadOnlyList<Layer> layers, double bridge, double film, double insideFilm) : IEquatable<SkinKey>
    {
        private readonly IReadOnlyList<Layer> _layers = layers;
        private readonly double _bridge = bridge;

        public double Film { get; } = film;
        public double InsideFilm { get; } = insideFilm;

        public bool Equals(SkinKey other) => _bridge == other._bridge && Film == other.Film && InsideFilm == other.InsideFilm
            && (ReferenceEquals(_layers, other._layers) || _layers.SequenceEqual(other._layers));

        public override bool Equals(object? obj) => obj is SkinKey other && Equals(other);

        public override int GetHashCode() => HashCode.Combine(_layers.Count, _layers.Count == 0 ? 0 : _layers[0].ThicknessM, _bridge, Film, InsideFilm);
    }
}

/// <summary>
/// Answer of one square metre of skin, its air held, to a drive that repeats daily: response factors, folded into one day.
/// </summary>
internal sealed class SkinResponse
{
    private const double Forgotten = 1e-7;
    private const int MostDays = 400;

    private readonly int _steps;
    private readonly double[] _hourly;
    private readonly double _steadyWK;

    /// <summary>Sends one step of 1 K through the skin and follows it until nothing of it is left.</summary>
    public SkinResponse(SkinChain skin, int steps)
    {
        _steps = steps;
        var chain = new SkinChains([skin]);
        chain.Prepare(86400.0 / steps);
        var answer = new double[steps];
        for (var turn = 0; turn < MostDays; turn++)
        {
            var left = 0.0;
            for (var k = 0; k < steps; k++)
            {
                double drive = turn == 0 && k == 0 ? 1 : 0;
                chain.Forward(new ReadOnlySpan<double>(in drive));
                chain.Back(0);
                var flow = chain.FlowToAir(0, drive, 0);
                answer[k] += flow;
                left = Math.Max(left, Math.Abs(flow));
            }
            if (left < Forgotten)
                break;
        }
        // Backwards and twice over, so that the sum over a day is one straight run.
        var perHour = steps / 24;
        _hourly = new double[2 * steps];
        for (var k = 0; k < 2 * steps; k++)
            for (var i = 0; i < perHour; i++)
                _hourly[2 * steps - 1 - k] += answer[(k + i) % steps] / perHour;
        _steadyWK = answer.Sum();
    }

    /// <summary>Adds the heat of an area under a drive to the hours, W.</summary>
    public void Add(double[] hours, double[] drive, double airC, double areaM2)
    {
        var perHour = _steps / 24;
        for (var h = 0; h < 24; h++)
        {
            var answers = _hourly.AsSpan(_steps - 1 - h * perHour, _steps);
            hours[h] += areaM2 * (Dot(answers, drive) - _steadyWK * airC);
        }
    }

    private static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var sum = Vector<double>.Zero;
        var i = 0;
        for (; i <= a.Length - Vector<double>.Count; i += Vector<double>.Count)
            sum += new Vector<double>(a[i..]) * new Vector<double>(b[i..]);
        var total = Vector.Sum(sum);
        for (; i < a.Length; i++)
            total += a[i] * b[i];
        return total;
    }
}
