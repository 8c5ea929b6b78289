using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>A reading of a vacuum that stands.</summary>
/// <param name="Seconds">Since the pump was shut off.</param>
/// <param name="Pa">Absolute.</param>
public readonly record struct VacuumPoint(double Seconds, double Pa);

/// <summary>How a vacuum that stands rises.</summary>
public enum DecayShape
{
    [Called("flat")] Flat, [Called("straight")] Straight, [Called("levelling")] Levelling, [Called("not settled yet")] NotSettled,
    [Called("levelling on a slope")] StraightPlus,
}

/// <summary>What the rise says.</summary>
public enum DecayFinding
{
    [Called("dry and tight")] Tight, [Called("a small leak is likely")] LeakSuspected, [Called("a leak")] Leak, [Called("wet")] Moisture,
    [Called("leaking and wet")] LeakAndMoisture, [Called("cannot tell")] Inconclusive,
}

/// <summary>Why it cannot be told, or what else is wrong.</summary>
public enum DecayReason
{
    [Called("")] None, [Called("too few readings")] TooFewReadings, [Called("held too briefly")] HoldTooShort, [Called("a gap in the readings")] Gap,
    [Called("hold longer")] HoldLonger, [Called("the curve fits more than one story")] ShapeNotClear, [Called("shut off too early")] StartTooHigh,
}

/// <summary>Limits by which a decay is judged; common practice, the unit's manual wins.</summary>
public sealed record DecayLimits
{
    public double SettleS { get; init; } = 30;
    public double LeastS { get; init; } = 300;
    public int LeastReadings { get; init; } = 15;
    public double StartPa { get; init; } = 500 * QuantityTable.PascalsPerMicron;
    public double PassPa { get; init; } = 1000 * QuantityTable.PascalsPerMicron;
    public double JudgeS { get; init; } = 600;
    public double RiseLeastPa { get; init; } = 100 * QuantityTable.PascalsPerMicron;
    public double GaugeNoise { get; init; } = 0.01;
    public double ResolutionPa { get; init; } = QuantityTable.PascalsPerMicron;
}

/// <summary>A shape fitted: p = a + b·x + c·(1 − e^(−x/τ)), x from the first reading that counts.</summary>
public sealed record DecayFit(DecayShape Shape, double A, double B, double C, double Tau, double Chi2, double Bic, DecayFinding Finding)
{
    /// <summary>Pressure of the fit, x seconds after the first reading that counts.</summary>
    public double At(double x) => A + B * x + (C == 0 ? 0 : C * (1 - Math.Exp(-x / Tau)));

    /// <summary>Its slope there, Pa/s.</summary>
    public double Slope(double x) => B + (C == 0 ? 0 : C / Tau * Math.Exp(-x / Tau));
}

/// <summary>What a vacuum that stands says.</summary>
/// <param name="Confidence">Weight of all shapes that say the same; of the shape, not a calibrated probability.</param>
/// <param name="Best">The shape that fits best; nothing where none was fitted.</param>
/// <param name="FromS">Seconds at which the fit begins.</param>
/// <param name="StartPa">Where it stood when shut off.</param>
public sealed record DecayJudgement(DecayFinding Finding, DecayReason Reason, double Confidence, DecayFit? Best, double FromS, double StartPa)
{
    /// <summary>All shapes fitted and their weights.</summary>
    public IReadOnlyList<(DecayFit Fit, double Weight)> Fits { get; init; } = [];

    /// <summary>It was shut off above the limit, whatever else.</summary>
    public bool StartTooHigh { get; init; }

    /// <summary>A leak's share of the rise, Pa/s; nothing without one.</summary>
    public double? LeakPaS => Finding is DecayFinding.Leak or DecayFinding.LeakSuspected or DecayFinding.LeakAndMoisture ? Best?.B : null;
}

/// <summary>
/// Tells a leak from moisture, settling and what the hose does, by the shape of a rising vacuum: least squares weighted by the gauge, shapes compared
/// by the Bayesian information criterion. The method is this product's own, on standard statistics.
/// </summary>
public static class VacuumDecay
{
    private const double LeastConfidence = 0.80;
    private const double SaturatedSlack = 1.15;
    private const int RefineSteps = 30;

    /// <summary>Judges readings in any order.</summary>
    /// <param name="readings">Good ones only.</param>
    /// <param name="coldestC">Coldest pipe: water can rise no further than it saturates there.</param>
    public static DecayJudgement Of(IEnumerable<VacuumPoint> readings, double coldestC, DecayLimits? limits = null)
    {
        var l = limits ?? new DecayLimits();
        var all = readings.DistinctBy(r => r.Seconds).OrderBy(r => r.Seconds).ToList();
        var start = all.Take(3).Select(r => r.Pa).DefaultIfEmpty(0).Min();
        var kept = all.Where(r => r.Seconds >= l.SettleS).ToList();
        DecayJudgement No(DecayReason why) =>
            new(DecayFinding.Inconclusive, why, 0, null, kept.Count > 0 ? kept[0].Seconds : 0, start) { StartTooHigh = start > l.StartPa };
        if (kept.Count < l.LeastReadings)
            return No(DecayReason.TooFewReadings);
        var span = kept[^1].Seconds - kept[0].Seconds;
        if (span < l.LeastS)
            return No(DecayReason.HoldTooShort);
        var steps = kept.Zip(kept.Skip(1), (a, b) => b.Seconds - a.Seconds).Order().ToList();
        if (steps[^1] > 0.25 * span)
            return No(DecayReason.Gap);
        var fits = new Fitting(Thinned(kept), l, coldestC).All(span, Math.Max(2 * Median(steps), span / 40), start);
        var least = fits.Min(f => f.Bic);
        var weighed = fits.Select(f => (Fit: f, Weight: Math.Exp(-(f.Bic - least) / 2))).ToList();
        var sum = weighed.Sum(w => w.Weight);
        weighed = [.. weighed.Select(w => (w.Fit, w.Weight / sum)).OrderByDescending(w => w.Item2)];
        var best = weighed[0].Fit;
        var confidence = weighed.Where(w => w.Fit.Finding == best.Finding).Sum(w => w.Weight);
        var high = start > l.StartPa;
        var (finding, reason) = (best.Finding, high && best.Finding == DecayFinding.Inconclusive ? DecayReason.StartTooHigh : DecayReason.None);
        if (finding == DecayFinding.Inconclusive && best.Shape == DecayShape.NotSettled)
            reason = DecayReason.HoldLonger;
        if (confidence < LeastConfidence && !(Leaks(finding) && weighed.Where(w => w.Fit.Finding != finding).MaxBy(w => w.Weight) is var rival
            && Leaks(rival.Fit.Finding)))
            (finding, reason) = (DecayFinding.Inconclusive, DecayReason.ShapeNotClear);
        return new DecayJudgement(finding, reason, confidence, best, kept[0].Seconds, start) { Fits = weighed, StartTooHigh = high };
    }

    /// <summary>Hours of readings are averaged in groups: the shape stays, and the answer stands at once.</summary>
    private static List<(VacuumPoint Point, int Count)> Thinned(List<VacuumPoint> kept)
    {
        var group = (kept.Count - 1) / MostPoints + 1;
        return [.. kept.Chunk(group).Select(g => (new VacuumPoint(g.Average(p => p.Seconds), g.Average(p => p.Pa)), g.Length))];
    }

    private const int MostPoints = 500;

    private static bool Leaks(DecayFinding finding) => finding is DecayFinding.Leak or DecayFinding.LeakSuspected or DecayFinding.LeakAndMoisture;

    private static double Median(List<double> sorted) => sorted.Count % 2 == 1 ? sorted[sorted.Count / 2]
        : 0.5 * (sorted[sorted.Count / 2 - 1] + sorted[sorted.Count / 2]);

    private sealed class Fitting
    {
        private readonly double[] _x, _p, _w, _e;
        private readonly DecayLimits _l;
        private readonly double _judge, _end, _saturatedPa, _sw, _swx, _swp, _swxx, _swxp;

        public Fitting(List<(VacuumPoint Point, int Count)> kept, DecayLimits l, double coldestC)
        {
            _l = l;
            (_x, _p) = ([.. kept.Select(r => r.Point.Seconds - kept[0].Point.Seconds)], [.. kept.Select(r => r.Point.Pa)]);
            _w = [.. kept.Select(r => r.Count / (Math.Pow(l.GaugeNoise * r.Point.Pa, 2) + l.ResolutionPa * l.ResolutionPa / 12))];
            _e = new double[_x.Length];
            (_judge, _end) = (l.JudgeS - kept[0].Point.Seconds, _x[^1]);
            _saturatedPa = MoistAir.SaturationPressure(coldestC);
            for (var i = 0; i < _x.Length; i++)
            {
                _sw += _w[i];
                _swx += _w[i] * _x[i];
                _swp += _w[i] * _p[i];
                _swxx += _w[i] * _x[i] * _x[i];
                _swxp += _w[i] * _x[i] * _p[i];
            }
        }

        public List<DecayFit> All(double span, double tau0, double startPa)
        {
            var fits = new List<DecayFit>
            {
                Made(DecayShape.Flat, 1, (_swp / _sw, 0, 0), 0, startPa),
                Made(DecayShape.Straight, 2, Line(), 0, startPa),
            };
            void Exponential(DecayShape shape, double from, double to, int count, int terms)
            {
                if (!(to > from))
                    return;
                if (Searched(from, to, count, terms == 4) is { } best)
                    fits.Add(Made(shape, terms, best.Abc, best.Tau, startPa));
            }

            Exponential(DecayShape.Levelling, tau0, 0.7 * span, 40, 3);
            Exponential(DecayShape.NotSettled, 0.75 * span, 3 * span, 12, 3);
            Exponential(DecayShape.StraightPlus, tau0, 0.35 * span, 30, 4);
            return fits;
        }

        private (double A, double B, double C) Line()
        {
            var d = _sw * _swxx - _swx * _swx;
            var b = (_sw * _swxp - _swx * _swp) / d;
            return ((_swp - b * _swx) / _sw, b, 0);
        }

        /// <summary>The best time constant: a grid in its logarithm, then golden section between its neighbours; only rises that level count.</summary>
        private ((double A, double B, double C) Abc, double Tau)? Searched(double from, double to, int count, bool slope)
        {
            ((double A, double B, double C) Abc, double Tau, double Chi)? best = null;
            double Try(double lnTau)
            {
                var tau = Math.Exp(lnTau);
                var (abc, chi) = Solve(tau, slope);
                if (!(abc.C > 0 && abc.B >= 0))
                    return double.PositiveInfinity;
                if (best is null || chi < best.Value.Chi)
                    best = (abc, tau, chi);
                return chi;
            }

            return GoldenSearch.Least(Try, Math.Log(from), Math.Log(to), count, RefineSteps) is null ? null : (best!.Value.Abc, best.Value.Tau);
        }

        private ((double A, double B, double C) Abc, double Chi) Solve(double tau, bool slope)
        {
            double swe = 0, swee = 0, swep = 0, swex = 0;
            for (var i = 0; i < _x.Length; i++)
            {
                var e = _e[i] = 1 - Math.Exp(-_x[i] / tau);
                swe += _w[i] * e;
                swee += _w[i] * e * e;
                swep += _w[i] * e * _p[i];
                swex += _w[i] * e * _x[i];
            }
            double a, b = 0, c;
            if (!slope)
            {
                c = (_sw * swep - swe * _swp) / (_sw * swee - swe * swe);
                a = (_swp - c * swe) / _sw;
            }
            else
            {
                // Centred, so that two unknowns are left.
                var (xx, ee, ex) = (_swxx - _swx * _swx / _sw, swee - swe * swe / _sw, swex - _swx * swe / _sw);
                var (xp, ep) = (_swxp - _swx * _swp / _sw, swep - swe * _swp / _sw);
                var d = xx * ee - ex * ex;
                b = (xp * ee - ep * ex) / d;
                c = (ep * xx - xp * ex) / d;
                a = (_swp - b * _swx - c * swe) / _sw;
            }
            var chi = 0.0;
            for (var i = 0; i < _x.Length; i++)
            {
                var off = _p[i] - a - b * _x[i] - c * _e[i];
                chi += _w[i] * off * off;
            }
            return ((a, b, c), chi);
        }

        private DecayFit Made(DecayShape shape, int terms, (double A, double B, double C) abc, double tau, double startPa)
        {
            var fit = new DecayFit(shape, abc.A, abc.B, abc.C, tau, 0, 0, DecayFinding.Inconclusive);
            var chi = 0.0;
            for (var i = 0; i < _x.Length; i++)
                chi += _w[i] * Math.Pow(_p[i] - fit.At(_x[i]), 2);
            var n = _x.Length;
            fit = fit with { Chi2 = chi, Bic = n * Math.Log(Math.Max(chi / n, 0.01)) + terms * Math.Log(n) };
            var finding = Judge(fit);
            return fit with { Finding = finding == DecayFinding.Tight && startPa > _l.StartPa ? DecayFinding.Inconclusive : finding };
        }

        private DecayFinding Judge(DecayFit f)
        {
            var (atEnd, rise10, levelsAt) = (f.At(_end), f.Slope(_end) * 600, f.A + f.C);
            var rule = Math.Max(f.At(_judge), atEnd) <= _l.PassPa;
            return f.Shape switch
            {
                DecayShape.Flat => rule ? DecayFinding.Tight : DecayFinding.Inconclusive,
                DecayShape.Straight when f.B < 0 => rule ? DecayFinding.Tight : DecayFinding.Inconclusive,
                DecayShape.Levelling => rule && levelsAt <= _l.PassPa ? DecayFinding.Tight
                    : levelsAt <= SaturatedSlack * _saturatedPa ? DecayFinding.Moisture : DecayFinding.Inconclusive,
                DecayShape.NotSettled => rule && levelsAt <= _l.PassPa ? DecayFinding.Tight : DecayFinding.Inconclusive,
                DecayShape.StraightPlus when !Artefact(f) => Mixed(f, rule, rise10, levelsAt, atEnd),
                _ => rule && rise10 <= _l.RiseLeastPa ? DecayFinding.Tight : rule ? DecayFinding.LeakSuspected : DecayFinding.Leak,
            };
        }

        /// <summary>A first move that stops is the hose's, not the circuit's; common practice.</summary>
        private static bool Artefact(DecayFit f) => f.Tau < 60 && f.C < 200 * QuantityTable.PascalsPerMicron;

        private DecayFinding Mixed(DecayFit f, bool rule, double rise10, double levelsAt, double atEnd)
        {
            if (rise10 <= Math.Max(_l.RiseLeastPa, 0.05 * f.C))
                return rule ? DecayFinding.Tight : atEnd <= SaturatedSlack * _saturatedPa ? DecayFinding.Moisture : DecayFinding.Inconclusive;
            return rule ? DecayFinding.LeakSuspected : levelsAt > _l.PassPa ? DecayFinding.LeakAndMoisture : DecayFinding.Leak;
        }
    }
}
