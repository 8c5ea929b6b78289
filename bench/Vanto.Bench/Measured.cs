using System.Diagnostics;
using System.Globalization;

namespace Vanto.Bench;

/// <summary>One promise: what, how much at most, and what was measured.</summary>
public sealed record Measured(string What, double AtMost, string Unit, double Median, double P95, double Worst, int Runs, string Note = "")
{
    /// <summary>True when the 95th percentile is within the promise.</summary>
    public bool Kept => P95 <= AtMost;

    /// <summary>Times an action: runs to warm up, so long that all it calls is compiled to its end, then the runs that count.</summary>
    /// <param name="what">In words.</param>
    /// <param name="atMostMs">Promised, ms.</param>
    /// <param name="runs">That count.</param>
    /// <param name="action">What is timed.</param>
    /// <param name="note">Beside the row.</param>
    /// <param name="warmS">Seconds to warm up: a whole job, which has all the code, takes the compiler longer.</param>
    public static Measured Time(string what, double atMostMs, int runs, Action action, string note = "", double warmS = 1)
    {
        var warming = Stopwatch.StartNew();
        for (var i = 0; i < Math.Max(3, runs / 5) || warming.Elapsed.TotalSeconds < warmS; i++)
            action();
        var times = new double[runs];
        for (var i = 0; i < runs; i++)
        {
            var began = Stopwatch.GetTimestamp();
            action();
            times[i] = Stopwatch.GetElapsedTime(began).TotalMilliseconds;
        }
        return Of(what, atMostMs, "ms", times, note);
    }

    /// <summary>How fast this machine is just now, ms.</summary>
    public static double Spin()
    {
        var best = double.MaxValue;
        for (var run = 0; run < 3; run++)
        {
            var began = Stopwatch.GetTimestamp();
            double sum = 0;
            for (var i = 0; i < 100_000_000; i++)
                sum += i;
            best = Math.Min(best, Stopwatch.GetElapsedTime(began).TotalMilliseconds + sum * 0);
        }
        return best;
    }

    /// <summary>A promise from a row of samples.</summary>
    public static Measured Of(string what, double atMost, string unit, IEnumerable<double> samples, string note = "")
    {
        var sorted = samples.Order().ToArray();
        return new Measured(what, atMost, unit, At(sorted, 0.5), At(sorted, 0.95), sorted[^1], sorted.Length, note);
    }

    private static double At(double[] sorted, double share) => sorted[Math.Min(sorted.Length - 1, (int)Math.Ceiling(share * sorted.Length) - 1)];

    /// <summary>The table as printed.</summary>
    public static void Print(IEnumerable<Measured> rows)
    {
        Console.WriteLine($"{"promise",-64} {"at most",10} {"median",9} {"p95",9} {"worst",9} {"runs",5}  {"p95 / promise",13}");
        foreach (var row in rows)
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{row.What,-64} {row.AtMost,7:0.#} {row.Unit,-2} {row.Median,9:0.00} "
                + $"{row.P95,9:0.00} {row.Worst,9:0.00} {row.Runs,5}  {row.P95 / row.AtMost,13:0.00} {(row.Kept ? "kept" : "BROKEN")} {row.Note}"));
    }
}
