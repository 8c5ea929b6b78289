using System.Collections.Concurrent;
using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>Where a face looks and what stands before it: faces that agree in this see the same sun.</summary>
public sealed class Outlook : IEquatable<Outlook>
{
    private readonly SpaceDescription _space;

    /// <summary>The outlook of a face or window of a space.</summary>
    /// <param name="space">The space, with its heading and shades.</param>
    /// <param name="tiltDeg">0 lying on the roof, 90 upright.</param>
    /// <param name="relativeAzimuthDeg">Against the nose.</param>
    public Outlook(SpaceDescription space, double tiltDeg, double relativeAzimuthDeg)
    {
        _space = space;
        TiltDeg = tiltDeg;
        // A face that lies flat looks the same way at every heading; only shades tell it apart.
        var flat = tiltDeg is 0 or 180 && space.Shades.Count == 0;
        RelativeAzimuthDeg = space.Shades.Count == 0 ? 0 : relativeAzimuthDeg;
        AzimuthDeg = flat ? 0 : (space.HeadingDeg + relativeAzimuthDeg) % 360;
        Cover = tiltDeg < 45 ? space.OverheadCover : 1;
    }

    public double TiltDeg { get; }
    public double AzimuthDeg { get; }
    public double RelativeAzimuthDeg { get; }

    /// <summary>Share of sun and sky that something right overhead lets through.</summary>
    public double Cover { get; }

    /// <summary>Shades between sun and face.</summary>
    public IReadOnlyList<IShade> Shades => _space.Shades;

    /// <summary>Reflectance of the ground.</summary>
    public double Albedo => _space.Weather.Albedo;

    /// <inheritdoc />
    public bool Equals(Outlook? other) =>
        other is not null && TiltDeg == other.TiltDeg && AzimuthDeg == other.AzimuthDeg && RelativeAzimuthDeg == other.RelativeAzimuthDeg
        && Cover == other.Cover && (ReferenceEquals(Shades, other.Shades) || Shades.SequenceEqual(other.Shades));

    /// <inheritdoc />
    public override bool Equals(object? obj) => Equals(obj as Outlook);

    /// <inheritdoc />
    public override int GetHashCode() => HashCode.Combine(TiltDeg, AzimuthDeg, RelativeAzimuthDeg, Cover, Shades.Count);
}

/// <summary>Sun on one outlook over a row of steps, shades counted. W/m²; index is the step.</summary>
public sealed class FaceSun
{
    private readonly double[] _direct;
    private readonly double[] _diffuse;
    private readonly double[] _cosIncidence;
    private readonly double[] _skyShare;
    private readonly double _skyView;
    private double[]? _singlePane, _doublePane;

    /// <summary>Works the sun out.</summary>
    /// <param name="outlook">Where the face looks.</param>
    /// <param name="weather">Weather by step.</param>
    /// <param name="stepH">Hours a step.</param>
    public FaceSun(Outlook outlook, WeatherMoment[] weather, double stepH)
    {
        (_direct, _diffuse, _cosIncidence, _skyShare) =
            (new double[weather.Length], new double[weather.Length], new double[weather.Length], new double[weather.Length]);
        _skyView = SkyLongWave.View(outlook.TiltDeg);
        var normal = Direction.Of(outlook.TiltDeg, outlook.AzimuthDeg);
        for (var k = 0; k < weather.Length; k++)
        {
            ref readonly var moment = ref weather[k];
            double beam = outlook.Cover, sky = outlook.Cover;
            foreach (var shade in outlook.Shades)
            {
                var (b, s) = shade.On(outlook.TiltDeg, outlook.RelativeAzimuthDeg, outlook.AzimuthDeg, moment.Sun, (k + 0.5) * stepH % 24);
                beam *= b;
                sky *= s;
            }
            _skyShare[k] = sky;
            if (moment.Sky is { Global: 0, Direct: 0, Diffuse: 0 })
                continue;
            var face = Irradiance.OnFace(moment.Sky, moment.ToSun, normal, moment.ExtraterrestrialWm2, outlook.Albedo);
            _direct[k] = beam * (face.Beam + face.Circumsolar);
            _diffuse[k] = sky * face.Sky + face.Ground;
            _cosIncidence[k] = face.CosIncidence;
        }
    }

    /// <summary>All sun on the face at a step.</summary>
    public double OnFace(int step) => _direct[step] + _diffuse[step];

    /// <summary>What the face sees of the sky's cold at a step: 1 lying open.</summary>
    public double SkyView(int step) => _skyShare[step] * _skyView;

    /// <summary>Sun behind a pane of solar gain 1, by the angle of incidence.</summary>
    public double[] Behind(bool doublePane) => doublePane ? _doublePane ??= Through(true) : _singlePane ??= Through(false);

    private double[] Through(bool doublePane)
    {
        var diffuse = Glass.DiffuseModifier(doublePane);
        var through = new double[_direct.Length];
        for (var k = 0; k < through.Length; k++)
        {
            var modified = _direct[k] <= 0 ? 0 : _direct[k] * Glass.IncidenceModifier(Math.Acos(Math.Min(1, _cosIncidence[k])) * 180 / Math.PI, doublePane);
            through[k] = modified + _diffuse[k] * diffuse;
        }
        return through;
    }
}

/// <summary>The sun on every outlook of a rig under one weather, each worked out once.</summary>
public sealed class SunKept(WeatherMoment[] weather, double stepH)
{
    private readonly ConcurrentDictionary<Outlook, FaceSun> _kept = new();

    /// <summary>Weather by step.</summary>
    public WeatherMoment[] Weather => weather;

    /// <summary>Hours a step.</summary>
    public double StepH => stepH;

    /// <summary>The sun on a face or window.</summary>
    public FaceSun On(SpaceDescription space, double tiltDeg, double relativeAzimuthDeg)
    {
        var outlook = new Outlook(space, tiltDeg, relativeAzimuthDeg);
        return _kept.TryGetValue(outlook, out var known) ? known : _kept[outlook] = new FaceSun(outlook, weather, stepH);
    }
}
