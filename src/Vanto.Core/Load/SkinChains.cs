namespace Vanto.Core.Load;

/// <summary>
/// One face as a chain from outside to the air: capacities of its nodes (J/K), conductances between them (W/K; one more than nodes), bridge (W/K).
/// </summary>
public sealed record SkinChain(double[] Capacities, double[] Conductances, double Bridge)
{
    /// <summary>Cells of a layer are no thicker than heat travels in an hour, at most eight.</summary>
    public static SkinChain Of(OpaqueFace face, double outsideFilm, double insideFilm)
    {
        var area = face.AreaM2;
        var capacities = new List<double>();
        var conductances = new List<double>();
        var resistance = 1 / outsideFilm;
        foreach (var layer in face.Layers)
        {
            if (layer.Solid is not { } solid)
            {
                resistance += layer.GapResistance;
                continue;
            }
            var cells = (int)Math.Min(8,
                Math.Max(1, Math.Ceiling(layer.ThicknessM / Math.Sqrt(3600 * solid.ConductivityWmK / (solid.DensityKgM3 * solid.SpecificHeatJkgK)))));
            var half = layer.ThicknessM / cells / 2 / solid.ConductivityWmK;
            for (var cell = 0; cell < cells; cell++)
            {
                conductances.Add(area / (resistance + half));
                capacities.Add(solid.DensityKgM3 * solid.SpecificHeatJkgK * layer.ThicknessM / cells * area);
                resistance = half;
            }
        }
        conductances.Add(area / (resistance + insideFilm));
        return new SkinChain([.. capacities], [.. conductances], face.ExtraTransmittance * area);
    }

    /// <summary>A window: no node.</summary>
    public static SkinChain Of(GlassFace window) => new([], [window.AreaM2 * window.CoveredU], 0);
}

/// <summary>
/// All chains of a space in flat arrays, for the hot loop. A step is a forward pass (elimination towards the air) and a back pass.
/// </summary>
public sealed class SkinChains
{
    private readonly SkinChain[] _chains;
    private readonly int[] _first;
    private readonly double[] _inner;
    private readonly double[] _outer;
    private readonly double[] _keep;
    private readonly double[] _pass;
    private readonly double[] _forward;
    private readonly double[] _back;

    /// <summary>Lays the chains side by side.</summary>
    public SkinChains(SkinChain[] chains)
    {
        _chains = chains;
        _first = new int[chains.Length + 1];
        for (var c = 0; c < chains.Length; c++)
            _first[c + 1] = _first[c] + chains[c].Capacities.Length;
        var nodes = _first[^1];
        Temperatures = new double[nodes];
        _keep = new double[nodes];
        _pass = new double[nodes];
        _forward = new double[nodes];
        _back = new double[nodes];
        _inner = [.. chains.Select(c => c.Conductances[^1])];
        _outer = [.. chains.Select(c => c.Capacities.Length == 0 ? c.Conductances[0] + c.Bridge : c.Bridge)];
    }

    /// <summary>Node temperatures, chain after chain, from outside to inside, °C.</summary>
    public double[] Temperatures { get; }

    /// <summary>Number of nodes.</summary>
    public int NodeCount => Temperatures.Length;

    /// <summary>Steady conductance of all chains, W/K.</summary>
    public double SteadyWK => _chains.Sum(c => c.Bridge + SteadySeriesWK(c.Conductances));

    /// <summary>Energy in the nodes above 0 °C, J.</summary>
    public double StoredJ
    {
        get
        {
            double sum = 0;
            for (var c = 0; c < _chains.Length; c++)
                for (var i = _first[c]; i < _first[c + 1]; i++)
                    sum += _chains[c].Capacities[i - _first[c]] * Temperatures[i];
            return sum;
        }
    }

    /// <summary>Fixes the step length, s; returns what the chains add to the hub's conductance, W/K.</summary>
    public double Prepare(double step)
    {
        double hub = 0;
        for (var c = 0; c < _chains.Length; c++)
        {
            var (capacities, g) = (_chains[c].Capacities, _chains[c].Conductances);
            hub += _outer[c];
            double back = 0;
            for (var i = 0; i < capacities.Length; i++)
            {
                var perStep = capacities[i] / step;
                var denominator = perStep + g[i] + g[i + 1] - (i == 0 ? 0 : g[i] * back);
                back = g[i + 1] / denominator;
                var at = _first[c] + i;
                _keep[at] = perStep / denominator;
                _pass[at] = g[i] / denominator;
                _back[at] = back;
            }
            if (capacities.Length > 0)
                hub += _inner[c] * (1 - back);
        }
        return hub;
    }

    /// <summary>Brings every chain to rest between a constant drive and a constant air.</summary>
    public void Rest(ReadOnlySpan<double> drive, double air)
    {
        for (var c = 0; c < _chains.Length; c++)
        {
            var g = _chains[c].Conductances;
            var flow = SteadySeriesWK(g) * (drive[c] - air);
            var at = drive[c];
            for (var i = _first[c]; i < _first[c + 1]; i++)
                Temperatures[i] = at -= flow / g[i - _first[c]];
        }
    }

    /// <summary>Heat that flows into air of 0 °C at constant drives, W.</summary>
    public double SteadyFlow(ReadOnlySpan<double> drive)
    {
        double sum = 0;
        for (var c = 0; c < _chains.Length; c++)
            sum += (_chains[c].Bridge + SteadySeriesWK(_chains[c].Conductances)) * drive[c];
        return sum;
    }

    private static double SteadySeriesWK(double[] conductances)
    {
        double resistance = 0;
        foreach (var g in conductances)
            resistance += 1 / g;
        return 1 / resistance;
    }

    /// <summary>Forward pass; returns the chains' part of the hub's drive, W.</summary>
    public double Forward(ReadOnlySpan<double> drive)
    {
        double hub = 0;
        var temperatures = Temperatures;
        for (var c = 0; c < _inner.Length; c++)
        {
            hub += _outer[c] * drive[c];
            var end = _first[c + 1];
            var i = _first[c];
            if (i == end)
                continue;
            var p = drive[c];
            for (; i < end; i++)
                _forward[i] = p = _keep[i] * temperatures[i] + _pass[i] * p;
            hub += _inner[c] * p;
        }
        return hub;
    }

    /// <summary>Back pass from the air's temperature.</summary>
    public void Back(double air)
    {
        for (var c = _inner.Length - 1; c >= 0; c--)
        {
            var next = air;
            for (var i = _first[c + 1] - 1; i >= _first[c]; i--)
                Temperatures[i] = next = _forward[i] + _back[i] * next;
        }
    }

    /// <summary>Heat from a chain into the air, W.</summary>
    public double FlowToAir(int chain, double drive, double air)
    {
        var last = _first[chain + 1] - 1;
        return _outer[chain] * (drive - air) + (last < _first[chain] ? 0 : _inner[chain] * (Temperatures[last] - air));
    }

    /// <summary>Heat from outside into all chains, W.</summary>
    public double FlowFromOutside(ReadOnlySpan<double> drive, double air)
    {
        double sum = 0;
        for (var c = 0; c < _chains.Length; c++)
            sum += _outer[c] * (drive[c] - air) + (_first[c] == _first[c + 1] ? 0 : _chains[c].Conductances[0] * (drive[c] - Temperatures[_first[c]]));
        return sum;
    }
}
