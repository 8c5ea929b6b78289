using Vanto.Core.Physics;

namespace Vanto.Core.Supply;

/// <summary>A curve of how long a multiple of the rating is borne: ratios rising, seconds falling, read log-log.</summary>
public sealed class BearingCurve
{
    private readonly double[] _logRatio;
    private readonly double[] _logSeconds;
    private readonly double _first;
    private readonly (double Ratio, double Seconds) _last;

    /// <summary>Builds a curve from points (ratio, seconds).</summary>
    public BearingCurve(params (double Ratio, double Seconds)[] points)
    {
        Points = points;
        (_first, _last) = (points[0].Ratio, points[^1]);
        _logRatio = points.Select(p => Math.Log(p.Ratio)).ToArray();
        _logSeconds = points.Select(p => Math.Log(p.Seconds)).ToArray();
    }

    /// <summary>The points (ratio, seconds).</summary>
    public IReadOnlyList<(double Ratio, double Seconds)> Points { get; }

    /// <summary>The curve with its highest ratio so many times as high, those below in step, and what is borne for good as it was.</summary>
    public BearingCurve Times(double factor)
    {
        var stretched = (factor * _last.Ratio - _first) / (_last.Ratio - _first);
        return new BearingCurve([.. Points.Select(p => (_first + (p.Ratio - _first) * stretched, p.Seconds))]);
    }

    /// <summary>The curve as it is judged, in points close enough to be joined by straight lines, the shortest time first.</summary>
    /// <param name="shortest">Where the drawing begins, s; what is borne before the shortest time stated is what is borne there.</param>
    public IEnumerable<(double Seconds, double Ratio)> Drawn(double shortest)
    {
        const int pieces = 12;
        yield return (Math.Min(shortest, _last.Seconds), _last.Ratio);
        for (var i = Points.Count - 1; i > 0; i--)
            for (var k = i == Points.Count - 1 ? 0 : 1; k <= pieces; k++)
            {
                var t = (double)k / pieces;
                yield return (Math.Exp(_logSeconds[i] + t * (_logSeconds[i - 1] - _logSeconds[i])),
                    Math.Exp(_logRatio[i] + t * (_logRatio[i - 1] - _logRatio[i])));
            }
    }

    /// <summary>Seconds that a ratio is borne; infinite up to the first ratio, the last time beyond the last.</summary>
    public double AllowedSeconds(double ratio) =>
        ratio <= _first ? double.PositiveInfinity
        : ratio >= _last.Ratio ? _last.Seconds
        : Math.Exp(Roots.Interpolate(_logRatio, _logSeconds, Math.Log(ratio)));

    public static readonly BearingCurve HighFrequencyInverter = new((1.0, 1800), (1.1, 60), (1.5, 5), (2.0, 0.5));

    /// <summary>Low-frequency (transformer) inverter.</summary>
    public static readonly BearingCurve TransformerInverter = new((1.0, 1800), (1.25, 300), (1.5, 60), (2.0, 5), (3.0, 0.5));

    /// <summary>Portable power station.</summary>
    public static readonly BearingCurve PowerStation = new((1.0, 1800), (1.1, 30), (1.5, 1), (2.0, 0.1));

    /// <summary>Lithium management board, on DC current.</summary>
    public static readonly BearingCurve ManagementBoard = new((1.0, 3600), (1.5, 30), (2, 10), (3, 1), (4, 0.05), (6, 0.001));

    /// <summary>Inverter generator with a maximum above its rating (1.01 to 1.49 times).</summary>
    public static BearingCurve InverterGenerator(double ratedW, double maximumW) => new((1.0, 3600), (maximumW / ratedW, 10), (1.5, 0.5));

    /// <summary>Conventional generator, on real power (maximum 1.01 to 2 times the rating).</summary>
    public static BearingCurve ConventionalGenerator(double ratedW, double maximumW)
    {
        var surge = maximumW / ratedW;
        return new((1.0, 3600), (surge, 10), (1.5 * surge, 0.5), (2.5 * surge, 0.2));
    }

    /// <summary>American breaker, soonest.</summary>
    public static readonly BearingCurve BreakerNaMin = new((1.05, 3600), (1.35, 300), (2, 20), (3, 6), (5, 1.5), (8, 0.5));

    /// <summary>American breaker to 30 A, latest.</summary>
    public static readonly BearingCurve BreakerNaMaxSmall = new((1.35, 3600), (2, 120), (3, 40), (5, 12), (8, 4));

    /// <summary>American breaker 35 to 50 A, latest.</summary>
    public static readonly BearingCurve BreakerNaMaxLarge = new((1.35, 3600), (2, 240), (3, 80), (5, 24), (8, 8));

    /// <summary>IEC breaker, soonest.</summary>
    public static readonly BearingCurve BreakerIecMin = new((1.13, 3600), (1.45, 60), (2.55, 1), (5, 0.3));

    /// <summary>IEC breaker, latest.</summary>
    public static readonly BearingCurve BreakerIecMax = new((1.45, 3600), (2.55, 60), (5, 12));
}
