using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Load;

/// <summary>How surfaces inside exchange heat with the air.</summary>
public enum Films
{
    /// <summary>Convection to the air, radiation among the surfaces: as it is while nothing cools.</summary>
    [Called("convection and radiation apart")] Apart,

    /// <summary>One film to the air for both, and an air node made heavier for it: right for a held space, too slow for one left to itself.</summary>
    [Called("one film for both")] Together,
}

/// <summary>
/// A space left to itself: each surface inside gives heat to the air by convection and to all others by radiation through a star node. The skins are
/// the chains of <see cref="ThermalSpace"/>. Backward Euler, energy-exact per step, no allocation once built.
/// </summary>
public sealed class FreeFloat
{
    /// <summary>Convection inside with the fan off, W/m²K: still air at the surfaces of a room; common practice, 1.5 to 3.5.</summary>
    public const double StillAirWm2K = 2.0;

    /// <summary>The range of it over which a safe time is judged.</summary>
    public const double LeastConvection = 1.5, MostConvection = 3.5;

    /// <summary>Radiation between surfaces near room temperature at an emittance of 0.9: 0.9·4σT³ at 300 K, W/m²K.</summary>
    private const double RadiationWm2K = 5.5;

    /// <summary>Air with what stirs with it: leaves, cloth, paper; common practice.</summary>
    private const double AirFactor = 1.5;

    private readonly Chain[] _chains;
    private readonly double _airCapacity, _massCapacity, _massToAir, _massToStar, _infiltration;
    private double _step;

    /// <summary>Builds the network.</summary>
    /// <param name="space">The space.</param>
    /// <param name="convectionWm2K">Convection inside.</param>
    public FreeFloat(SpaceDescription space, double convectionWm2K = StillAirWm2K)
    {
        _chains =
        [
            .. space.Faces.Select(f => new Chain(SkinChain.Of(f, ThermalSpace.OutsideFilm(f, space.Weather.WindMs), 0), f.AreaM2, convectionWm2K)),
            .. space.Windows.Select(w => new Chain(
                new SkinChain([], [w.AreaM2 / Math.Max(0.01, 1 / w.CoveredU - Layers.InsideFilmCooling(w.TiltDeg))], 0), w.AreaM2, convectionWm2K)),
        ];
        _airCapacity = AirFactor * space.AirDensity * space.VolumeM3 * MoistAir.HeatCapacity(space.SetpointRatio);
        _massCapacity = space.FloorM2 * space.MassJm2K;
        var toAir = convectionWm2K / (convectionWm2K + RadiationWm2K);
        _massToAir = space.FloorM2 * space.MassCouplingWm2K * toAir;
        _massToStar = space.FloorM2 * space.MassCouplingWm2K * (1 - toAir);
        _infiltration = space.InfiltrationWK;
    }

    /// <summary>Air temperature, °C.</summary>
    public double AirC { get; private set; }

    /// <summary>Temperature of the contents, °C.</summary>
    public double MassC { get; private set; }

    /// <summary>Energy in air, contents and skins above 0 °C, J; for the balance.</summary>
    public double StoredJ => _airCapacity * AirC + _massCapacity * MassC
        + _chains.Sum(c => Enumerable.Range(0, c.Temperatures.Length).Sum(i => c.Skin.Capacities[i] * c.Temperatures[i]));

    /// <summary>Heat that came in over the last step, W: through the skins, with the air, as gains.</summary>
    public double InflowW { get; private set; }

    /// <summary>Sets the step length in seconds; needed before the first step.</summary>
    public void Prepare(double stepSeconds)
    {
        _step = stepSeconds;
        foreach (var chain in _chains)
            chain.Prepare(stepSeconds);
    }

    /// <summary>Takes the state of a model of the same space.</summary>
    public void CopyStateFrom(ThermalSpace held)
    {
        var nodes = new double[held.NodeCount];
        held.SwapSnapshot(nodes);
        (AirC, MassC) = (nodes[0], nodes[1]);
        var at = 2;
        foreach (var chain in _chains)
        {
            nodes.AsSpan(at, chain.Temperatures.Length).CopyTo(chain.Temperatures);
            at += chain.Temperatures.Length;
        }
    }

    /// <summary>Gives its state to a model of the same space.</summary>
    public void CopyStateTo(ThermalSpace model) => model.TakeNodes([AirC, MassC, .. _chains.SelectMany(c => c.Temperatures)]);

    /// <summary>Goes a step on with nothing held.</summary>
    /// <param name="drive">Sol-air temperature per face and window, °C.</param>
    /// <param name="outdoorC">Outdoor air.</param>
    /// <param name="convectiveW">Gains straight to the air.</param>
    /// <param name="radiantW">Gains to the contents.</param>
    public void Step(ReadOnlySpan<double> drive, double outdoorC, double convectiveW, double radiantW)
    {
        // Air and star as two equations; each chain and the contents are put in terms of both.
        var (air, star, between) = (_airCapacity / _step + _infiltration, 0.0, 0.0);
        var (airDrive, starDrive) = (_airCapacity / _step * AirC + _infiltration * outdoorC + convectiveW, 0.0);
        for (var i = 0; i < _chains.Length; i++)
        {
            var chain = _chains[i];
            chain.Forward(drive[i]);
            var sum = chain.FromSkin + chain.ToAir + chain.ToStar;
            air += chain.ToAir * (1 - chain.ToAir / sum) + chain.Skin.Bridge;
            star += chain.ToStar * (1 - chain.ToStar / sum);
            between += chain.ToAir * chain.ToStar / sum;
            airDrive += chain.ToAir * chain.SkinDrive / sum + chain.Skin.Bridge * drive[i];
            starDrive += chain.ToStar * chain.SkinDrive / sum;
        }
        var mass = _massCapacity / _step + _massToAir + _massToStar;
        var massDrive = _massCapacity / _step * MassC + radiantW;
        air += _massToAir * (1 - _massToAir / mass);
        star += _massToStar * (1 - _massToStar / mass);
        between += _massToAir * _massToStar / mass;
        airDrive += _massToAir * massDrive / mass;
        starDrive += _massToStar * massDrive / mass;
        var starC = (starDrive * air + between * airDrive) / (star * air - between * between);
        AirC = (airDrive + between * starC) / air;
        MassC = (massDrive + _massToAir * AirC + _massToStar * starC) / mass;
        InflowW = _infiltration * (outdoorC - AirC) + convectiveW + radiantW;
        for (var i = 0; i < _chains.Length; i++)
            InflowW += _chains[i].Back(drive[i], AirC, starC);
    }

    /// <summary>One skin with its surface inside.</summary>
    private sealed class Chain(SkinChain skin, double areaM2, double convectionWm2K)
    {
        private readonly double[] _keep = new double[skin.Capacities.Length];
        private readonly double[] _pass = new double[skin.Capacities.Length];
        private readonly double[] _back = new double[skin.Capacities.Length];
        private readonly double[] _forward = new double[skin.Capacities.Length];

        public SkinChain Skin => skin;
        public double[] Temperatures { get; } = new double[skin.Capacities.Length];
        public double ToAir { get; } = areaM2 * convectionWm2K;
        public double ToStar { get; } = areaM2 * RadiationWm2K;

        /// <summary>Conductance from the innermost node's part that the surface does not drive, W/K.</summary>
        public double FromSkin { get; private set; }

        /// <summary>Heat that the skin drives into the surface at 0 °C, W.</summary>
        public double SkinDrive { get; private set; }

        public void Prepare(double step)
        {
            var g = skin.Conductances;
            double back = 0;
            for (var i = 0; i < Temperatures.Length; i++)
            {
                var perStep = skin.Capacities[i] / step;
                var denominator = perStep + g[i] + g[i + 1] - (i == 0 ? 0 : g[i] * back);
                back = g[i + 1] / denominator;
                (_keep[i], _pass[i], _back[i]) = (perStep / denominator, g[i] / denominator, back);
            }
            FromSkin = g[^1] * (1 - back);
        }

        public void Forward(double drive)
        {
            var part = drive;
            for (var i = 0; i < Temperatures.Length; i++)
                _forward[i] = part = _keep[i] * Temperatures[i] + _pass[i] * part;
            SkinDrive = skin.Conductances[^1] * part;
        }

        /// <summary>Sets the nodes and returns the heat from outside, W.</summary>
        public double Back(double drive, double airC, double starC)
        {
            var next = (SkinDrive + ToAir * airC + ToStar * starC) / (FromSkin + ToAir + ToStar);
            for (var i = Temperatures.Length - 1; i >= 0; i--)
                Temperatures[i] = next = _forward[i] + _back[i] * next;
            return skin.Conductances[0] * (drive - next) + skin.Bridge * (drive - airC);
        }
    }
}
