namespace Vanto.Core.Physics;

/// <summary>Random numbers from a seed, the same on every machine (SplitMix64, published).</summary>
public sealed class SplitMix64(ulong seed)
{
    private ulong _state = seed;

    /// <summary>The next 64 bits.</summary>
    public ulong Next()
    {
        _state += 0x9E3779B97F4A7C15;
        var z = _state;
        z = (z ^ z >> 30) * 0xBF58476D1CE4E5B9;
        z = (z ^ z >> 27) * 0x94D049BB133111EB;
        return z ^ z >> 31;
    }

    /// <summary>Uniform from 0 to below 1.</summary>
    public double Uniform() => (Next() >> 11) * (1.0 / (1UL << 53));

    /// <summary>Normal; two uniforms each, the twin is not kept.</summary>
    public double Normal()
    {
        var u1 = Uniform();
        var u2 = Uniform();
        return Math.Sqrt(-2 * Math.Log(1 - u1)) * Math.Cos(2 * Math.PI * u2);
    }
}
