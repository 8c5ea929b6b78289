using System.Collections.Concurrent;
using CsCheck;

namespace Vanto.Core.Tests;

/// <summary>
/// Cases made at random from a seed that stands fixed, so that what was green once stays green on every machine;
/// <c>./vanto fuzz MINUTES</c> takes others. A case that breaks is run again by the generator's own search for a smaller one.
/// </summary>
public static class Cases
{
    private const ulong Fixed = 20270302;

    private static readonly ulong Seed = FuzzSeconds is null ? Fixed : (ulong)Environment.TickCount64;

    /// <summary>How long <c>./vanto fuzz</c> asks each search to go on, s; null in an ordinary run, which takes a number of cases.</summary>
    private static int? FuzzSeconds => int.TryParse(Environment.GetEnvironmentVariable("VANTO_FUZZ_SECONDS"), out var s) ? s : null;

    /// <summary>Every one of so many cases holds.</summary>
    /// <param name="any">What makes a case.</param>
    /// <param name="holds">Throws where it does not hold; called from several threads at once.</param>
    /// <param name="iter">How many, the same ones on every machine.</param>
    /// <param name="print">The case in words.</param>
    public static void Each<T>(this Gen<T> any, Action<T> holds, int iter = 100, Func<T, string>? print = null)
    {
        var until = FuzzSeconds is { } seconds ? Environment.TickCount64 + 1000L * seconds : long.MaxValue;
        var broken = new ConcurrentBag<(int Case, Exception Why)>();
        Parallel.For(0, FuzzSeconds is null ? iter : int.MaxValue, new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount }, (i, loop) =>
        {
            if (Environment.TickCount64 > until)
            {
                loop.Stop();
                return;
            }
            try
            {
                holds(any.Generate(Draw(i), null, out _));
            }
            catch (Exception e)
            {
                broken.Add((i, e));
                loop.Stop();
            }
        });
        if (broken.IsEmpty)
            return;
        var (at, why) = broken.MinBy(b => b.Case);
        any.Sample(holds, seed: Draw(at).ToString(), iter: 200, print: print);
        throw new InvalidOperationException($"case {at} of seed {Seed} broke once: {print?.Invoke(any.Generate(Draw(at), null, out _))}", why);
    }

    /// <inheritdoc cref="Each{T}"/>
    public static void Each<T1, T2>(this Gen<(T1, T2)> any, Action<T1, T2> holds, int iter = 100) =>
        any.Each(c => holds(c.Item1, c.Item2), iter);

    /// <inheritdoc cref="Each{T}"/>
    public static void Each<T1, T2, T3>(this Gen<(T1, T2, T3)> any, Action<T1, T2, T3> holds, int iter = 100) =>
        any.Each(c => holds(c.Item1, c.Item2, c.Item3), iter);

    /// <inheritdoc cref="Each{T}"/>
    public static void Each<T1, T2, T3, T4>(this Gen<(T1, T2, T3, T4)> any, Action<T1, T2, T3, T4> holds, int iter = 100) =>
        any.Each(c => holds(c.Item1, c.Item2, c.Item3, c.Item4), iter);

    private static PCG Draw(int at) => new((uint)at, Seed);
}
