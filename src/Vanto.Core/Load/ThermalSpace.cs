using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>What a face is, for the breakdown by cause.</summary>
public enum FaceKind { Roof, Wall, Floor }

/// <summary>What lies on the far side of a face.</summary>
public enum FarSide { OutdoorAir, UnderVehicle, Water, Ground }

/// <summary>One opaque face of the skin. Angles in degrees; azimuth relative to the nose.</summary>
public sealed record OpaqueFace(
    string Name, FaceKind Kind, double AreaM2, double TiltDeg, double RelativeAzimuthDeg, IReadOnlyList<Layer> Layers,
    double Absorptance, double ExtraTransmittance, FarSide FarSide = FarSide.OutdoorAir, double Emittance = 0.90, double? OutsideFilmWm2K = null);

/// <summary>One window. IAC is the share of sun an inside shade lets through, Exterior that of an outside one.</summary>
public sealed record GlassFace(
    string Name, double AreaM2, double TiltDeg, double RelativeAzimuthDeg, double WindowU, double Shgc, bool DoublePane,
    double InteriorShade, double ExteriorShade, double CoverR);

/// <summary>Heat given off inside by the hour 0 to 23.</summary>
public sealed record HourlyGain(string Name, GainKind Kind, double RadiantShare, double[] SensibleW, double[] LatentW);

/// <summary>Whether people or appliances.</summary>
public enum GainKind { People, Appliances }

/// <summary>A conditioned space with its skin, contents and habits. SI units.</summary>
public sealed record SpaceDescription
{
    public required DesignWeather Weather { get; init; }
    public required double HeadingDeg { get; init; }
    public required double SetpointC { get; init; }
    public required double SetpointRhPct { get; init; }
    public required double VolumeM3 { get; init; }
    public required double FloorM2 { get; init; }
    public required double MassJm2K { get; init; }
    public required double AirChangesPerHour { get; init; }
    public double FreshAirM3s { get; init; }
    public double WaterC { get; init; } = 20;
    public double GroundC { get; init; } = 15;
    public double OverheadCover { get; init; } = 1;
    public double MassCouplingWm2K { get; init; } = 15;
    public double RoadHeatKPerWm2 { get; init; } = 0.008;
    public required IReadOnlyList<OpaqueFace> Faces { get; init; }
    public required IReadOnlyList<GlassFace> Windows { get; init; }
    public required IReadOnlyList<HourlyGain> Gains { get; init; }

    /// <summary>Humidity ratio held inside.</summary>
    public double SetpointRatio => MoistAir.RatioFromRh(SetpointC, SetpointRhPct, Weather.PressurePa);

    /// <summary>Dry-air density at the set-point, kg/m³.</summary>
    public double AirDensity => 1 / MoistAir.SpecificVolume(SetpointC, SetpointRatio, Weather.PressurePa);

    /// <summary>Dry air exchanged with outdoors, kg/s.</summary>
    public double InfiltrationKgS => AirDensity * (AirChangesPerHour * VolumeM3 / 3600 + FreshAirM3s);

    /// <summary>Conductance of infiltration, W/K.</summary>
    public double InfiltrationWK => InfiltrationKgS * MoistAir.HeatCapacity(SetpointRatio);
}

/// <summary>
/// Heat-balance model of one space: an air node as hub, each face a chain of nodes from the sol-air temperature to the hub,
/// contents as one mass. Solved implicitly (backward Euler): stable at any step, energy-exact per step. Allocation-free once built.
/// </summary>
public sealed class ThermalSpace
{
    private readonly Chain[] _chains;
    private readonly double _airCapacity;
    private readonly double _massCapacity;
    private readonly double _massCoupling;
    private readonly double _infiltration;
    private double _step;
    private double _hubFixed;
    private double _massDenominator;
    private double _massCoefficient;
    private double _massPart;

    /// <summary>Builds the network.</summary>
    /// <param name="space">The space.</param>
    /// <param name="insideFilm">Inside film resistance by tilt, m²K/W.</param>
    /// <param name="filmMeanK">Mean temperature for the outside film: 293.15 cooling, 273.15 heating.</param>
    public ThermalSpace(SpaceDescription space, Func<double, double>? insideFilm = null, double filmMeanK = 293.15)
    {
        insideFilm ??= Layers.InsideFilmCooling;
        var wind = space.Weather.WindMs;
        _chains =
        [
            .. space.Faces.Select(f => Chain.Opaque(f, OutsideFilm(f, wind, filmMeanK), insideFilm(f.TiltDeg))),
            .. space.Windows.Select(w => Chain.Glass(w)),
        ];
        _airCapacity = 5 * space.AirDensity * space.VolumeM3 * MoistAir.HeatCapacity(space.SetpointRatio);
        _massCapacity = space.FloorM2 * space.MassJm2K;
        _massCoupling = space.FloorM2 * space.MassCouplingWm2K;
        _infiltration = space.InfiltrationWK;
    }

    /// <summary>Number of faces and windows, in the order of the description.</summary>
    public int ChainCount => _chains.Length;

    /// <summary>Air temperature, °C.</summary>
    public double AirC { get; private set; }

    /// <summary>Temperature of the contents, °C.</summary>
    public double MassC { get; private set; }

    /// <summary>Hub conductance of the current step, W/K.</summary>
    public double HubA { get; private set; }

    /// <summary>Hub drive of the current step, W.</summary>
    public double HubB { get; private set; }

    /// <summary>Total conductance of skin and bridges, W/K, without infiltration.</summary>
    public double SkinWK => _chains.Sum(c => c.SteadyWK);

    /// <summary>Outside film of a face, W/m²K.</summary>
    public static double OutsideFilm(OpaqueFace face, double windMs, double meanK = 293.15) => face.OutsideFilmWm2K ?? face.FarSide switch
    {
        FarSide.Water => 300,
        FarSide.Ground => 1000,
        FarSide.UnderVehicle => SkyLongWave.OutsideFilm(windMs / 2, face.Emittance, meanK),
        _ => SkyLongWave.OutsideFilm(windMs, face.Emittance, meanK),
    };

    /// <summary>Sets the step length in seconds; needed before the first step.</summary>
    public void Prepare(double stepSeconds)
    {
        _step = stepSeconds;
        _massDenominator = _massCapacity / stepSeconds + _massCoupling;
        _massCoefficient = _massCoupling / _massDenominator;
        _hubFixed = _airCapacity / stepSeconds + _infiltration + _massCoupling * (1 - _massCoefficient);
        foreach (var chain in _chains)
            _hubFixed += chain.Prepare(stepSeconds);
    }

    /// <summary>All nodes to one temperature.</summary>
    public void Reset(double temperatureC)
    {
        AirC = MassC = temperatureC;
        foreach (var chain in _chains)
            Array.Fill(chain.T, temperatureC);
    }

    /// <summary>Copies the state of another model of the same description.</summary>
    public void CopyStateFrom(ThermalSpace other)
    {
        AirC = other.AirC;
        MassC = other.MassC;
        for (var i = 0; i < _chains.Length; i++)
            other._chains[i].T.CopyTo(_chains[i].T, 0);
    }

    /// <summary>Forward pass: fixes the hub for the step.</summary>
    /// <param name="drive">Sol-air temperature per face and window, °C.</param>
    /// <param name="outdoorC">Outdoor air.</param>
    /// <param name="convectiveW">Gains straight to the air.</param>
    /// <param name="radiantW">Gains to the contents.</param>
    public void Begin(ReadOnlySpan<double> drive, double outdoorC, double convectiveW, double radiantW)
    {
        _massPart = (_massCapacity / _step * MassC + radiantW) / _massDenominator;
        var b = _airCapacity / _step * AirC + _infiltration * outdoorC + convectiveW + _massCoupling * _massPart;
        for (var i = 0; i < _chains.Length; i++)
            b += _chains[i].Forward(drive[i]);
        HubA = _hubFixed;
        HubB = b;
    }

    /// <summary>Back pass: the air takes a temperature, all nodes follow.</summary>
    public void End(double airC)
    {
        AirC = airC;
        foreach (var chain in _chains)
            chain.Back(airC);
        MassC = _massPart + _massCoefficient * airC;
    }

    /// <summary>Heat from one face or window into the air at its present state, W.</summary>
    public double Flow(int chain, double driveC) => _chains[chain].FlowToAir(driveC, AirC);

    /// <summary>Coupling of the contents to the air, W/K.</summary>
    public double MassCoupling => _massCoupling;

    /// <summary>Heat capacity of the contents, J/K.</summary>
    public double MassCapacity => _massCapacity;

    /// <summary>Infiltration, W/K.</summary>
    public double Infiltration => _infiltration;

    /// <summary>Number of nodes, air and contents included.</summary>
    public int NodeCount => 2 + _chains.Sum(c => c.T.Length);

    /// <summary>Writes all node temperatures over the span and returns the largest change against what stood there, K.</summary>
    public double SwapSnapshot(Span<double> nodes)
    {
        var largest = Math.Max(Math.Abs(nodes[0] - AirC), Math.Abs(nodes[1] - MassC));
        nodes[0] = AirC;
        nodes[1] = MassC;
        var at = 2;
        foreach (var chain in _chains)
            foreach (var temperature in chain.T)
            {
                largest = Math.Max(largest, Math.Abs(nodes[at] - temperature));
                nodes[at++] = temperature;
            }
        return largest;
    }

    /// <summary>Energy in all nodes above 0 °C, J; for the balance.</summary>
    public double StoredJ => _airCapacity * AirC + _massCapacity * MassC + _chains.Sum(c => c.StoredJ);

    /// <summary>Heat from outside into all chains at the present state, W; for the balance.</summary>
    public double FlowFromOutside(ReadOnlySpan<double> drive)
    {
        double sum = 0;
        for (var i = 0; i < _chains.Length; i++)
            sum += _chains[i].FlowFromOutside(drive[i], AirC);
        return sum;
    }

    private sealed class Chain(double[] capacities, double[] conductances, double bridge)
    {
        public readonly double[] T = new double[capacities.Length];
        private readonly double[] _p = new double[capacities.Length];
        private readonly double[] _q = new double[capacities.Length];
        private readonly double[] _den = new double[capacities.Length];
        private readonly double[] _cdt = new double[capacities.Length];

        public double SteadyWK => bridge + 1 / conductances.Sum(g => 1 / g);

        public double StoredJ
        {
            get
            {
                double sum = 0;
                for (var i = 0; i < T.Length; i++)
                    sum += capacities[i] * T[i];
                return sum;
            }
        }

        public static Chain Opaque(OpaqueFace face, double outsideFilm, double insideFilm)
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
                var cells = (int)Math.Min(8, Math.Max(1, Math.Ceiling(layer.ThicknessM / Math.Sqrt(3600 * solid.ConductivityWmK / (solid.DensityKgM3 * solid.SpecificHeatJkgK)))));
                var half = layer.ThicknessM / cells / 2 / solid.ConductivityWmK;
                for (var cell = 0; cell < cells; cell++)
                {
                    conductances.Add(area / (resistance + half));
                    capacities.Add(solid.DensityKgM3 * solid.SpecificHeatJkgK * layer.ThicknessM / cells * area);
                    resistance = half;
                }
            }
            conductances.Add(area / (resistance + insideFilm));
            return new Chain([.. capacities], [.. conductances], face.ExtraTransmittance * area);
        }

        public static Chain Glass(GlassFace window) => new([], [window.AreaM2 / (1 / window.WindowU + window.CoverR)], 0);

        public double Prepare(double step)
        {
            var n = T.Length;
            if (n == 0)
                return conductances[0] + bridge;
            for (var i = 0; i < n; i++)
            {
                _cdt[i] = capacities[i] / step;
                _den[i] = _cdt[i] + conductances[i] + conductances[i + 1] - (i == 0 ? 0 : conductances[i] * _q[i - 1]);
                _q[i] = conductances[i + 1] / _den[i];
            }
            return conductances[n] * (1 - _q[n - 1]) + bridge;
        }

        public double Forward(double drive)
        {
            var n = T.Length;
            if (n == 0)
                return (conductances[0] + bridge) * drive;
            var p = (_cdt[0] * T[0] + conductances[0] * drive) / _den[0];
            _p[0] = p;
            for (var i = 1; i < n; i++)
                _p[i] = p = (_cdt[i] * T[i] + conductances[i] * p) / _den[i];
            return conductances[n] * p + bridge * drive;
        }

        public void Back(double air)
        {
            var next = air;
            for (var i = T.Length - 1; i >= 0; i--)
                T[i] = next = _p[i] + _q[i] * next;
        }

        public double FlowToAir(double drive, double air) => T.Length == 0
            ? (conductances[0] + bridge) * (drive - air)
            : conductances[^1] * (T[^1] - air) + bridge * (drive - air);

        public double FlowFromOutside(double drive, double air) =>
            conductances[0] * (drive - (T.Length == 0 ? air : T[0])) + bridge * (drive - air);
    }
}
