using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>What a face is, for the breakdown by cause.</summary>
public enum FaceKind { Roof, Wall, Floor }

/// <summary>What lies on the far side of a face.</summary>
public enum FarSide { OutdoorAir, UnderVehicle, Water, Ground, Neighbour, Room, ShadedAir, Attic }

/// <summary>One opaque face of the skin. Angles in degrees; azimuth relative to the nose.</summary>
public sealed record OpaqueFace
{
    public required string Name { get; init; }
    public required FaceKind Kind { get; init; }
    public required double AreaM2 { get; init; }
    public required double TiltDeg { get; init; }
    public required double RelativeAzimuthDeg { get; init; }
    public required IReadOnlyList<Layer> Layers { get; init; }
    public required double Absorptance { get; init; }
    public required double ExtraTransmittance { get; init; }
    public FarSide FarSide { get; init; } = FarSide.OutdoorAir;
    public double Emittance { get; init; } = 0.90;
    public double? OutsideFilmWm2K { get; init; } = null;

    /// <summary>Temperature of the room behind it, where there is one of a given temperature.</summary>
    public double RoomC { get; init; }

    /// <summary>The vented attic above it, where there is one.</summary>
    public Attic? Attic { get; init; }

    /// <summary>Modules over it, with air between: share of it that they shade, and how warm their backs are, K for each W/m² of sun.</summary>
    public (double Share, double RiseKPerWm2) Modules { get; init; }
}

/// <summary>A vented roof space above a ceiling, for each square metre of ceiling.</summary>
/// <param name="Absorptance">Share of sun that the roof over it takes up.</param>
/// <param name="VentWm2K">Heat that its air change carries off, W/m²K.</param>
public sealed record Attic(double Absorptance, double VentWm2K)
{
    /// <summary>Roof area for each square metre of ceiling, at a pitch of some 25°.</summary>
    private const double Pitch = 1.1;

    /// <summary>From the roof's underside to the attic and its floor, radiation for the most part; common practice, W/m²K.</summary>
    private const double InsideWm2K = 6;

    /// <summary>Film on the ceiling's upper side, m²K/W.</summary>
    public const double FilmR = 0.10;

    /// <summary>Boards, tiles and rafters, J/m²K; common practice.</summary>
    private const double DeckJm2K = 25_000;

    /// <summary>The attic's temperature in a steady sun: what comes through the roof goes to vents and ceiling, °C.</summary>
    /// <param name="solAirC">Sol-air temperature of the roof over it.</param>
    /// <param name="outdoorC">Outdoor air.</param>
    /// <param name="filmWm2K">Film on the roof outside.</param>
    /// <param name="ceilingU">From the attic through the ceiling to the room.</param>
    /// <param name="roomC">The room.</param>
    public double Steady(double solAirC, double outdoorC, double filmWm2K, double ceilingU, double roomC)
    {
        var through = Pitch / (1 / filmWm2K + 1 / InsideWm2K);
        return (through * solAirC + VentWm2K * outdoorC + ceilingU * roomC) / (through + VentWm2K + ceilingU);
    }

    /// <summary>Fills in the attic's temperature step by step; a day is gone through twice, so that it repeats.</summary>
    /// <param name="solAirC">Taken: sol-air temperature of the roof over it. Filled: the attic's.</param>
    /// <param name="weather">Weather by step.</param>
    /// <param name="filmWm2K">Film on the roof outside.</param>
    /// <param name="ceilingU">From the attic through the ceiling to the room.</param>
    /// <param name="roomC">The room.</param>
    /// <param name="stepS">Seconds a step.</param>
    public void Follow(double[] solAirC, WeatherMoment[] weather, double filmWm2K, double ceilingU, double roomC, double stepS)
    {
        var (outside, inside, held) = (Pitch * filmWm2K, Pitch * InsideWm2K, DeckJm2K / stepS);
        var roof = (double[])solAirC.Clone();
        var deck = weather[0].AirC;
        var below = inside * (VentWm2K + ceilingU) / (inside + VentWm2K + ceilingU);
        for (var turn = stepS * weather.Length <= 86400 + 1 ? 0 : 1; turn < 2; turn++)
            for (var k = 0; k < weather.Length; k++)
            {
                var sink = (VentWm2K * weather[k].AirC + ceilingU * roomC) / (VentWm2K + ceilingU);
                deck = (held * deck + outside * roof[k] + below * sink) / (held + outside + below);
                solAirC[k] = (inside * deck + VentWm2K * weather[k].AirC + ceilingU * roomC) / (inside + VentWm2K + ceilingU);
            }
    }
}

/// <summary>One window. IAC is the share of sun an inside shade lets through, Exterior that of an outside one.</summary>
public sealed record GlassFace
{
    public required string Name { get; init; }
    public required double AreaM2 { get; init; }
    public required double TiltDeg { get; init; }
    public required double RelativeAzimuthDeg { get; init; }
    public required double WindowU { get; init; }
    public required double Shgc { get; init; }
    public required bool DoublePane { get; init; }
    public required double InteriorShade { get; init; }
    public required double ExteriorShade { get; init; }
    public required double CoverR { get; init; }

    /// <summary>Share of the sun behind an open pane that comes in: the pane's gain, its shades.</summary>
    public double SunGain => FarSide == FarSide.OutdoorAir ? Shgc * InteriorShade * ExteriorShade : 0;

    /// <summary>What is behind the pane, where it does not look outdoors: no sun comes from there.</summary>
    public FarSide FarSide { get; init; } = FarSide.OutdoorAir;

    /// <summary>Temperature of the room behind it, where there is one of a given temperature.</summary>
    public double RoomC { get; init; }

    /// <summary>Transmittance with its cover, W/m²K.</summary>
    public double CoveredU => 1 / (1 / WindowU + CoverR);
}

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

    /// <summary>How much warmer than outdoors a neighbouring space that is not cooled stands, K.</summary>
    public double NeighbourRiseK { get; init; }

    /// <summary>What stands between sun and skin.</summary>
    public IReadOnlyList<IShade> Shades { get; init; } = [];
    public double MassCouplingWm2K { get; init; } = 15;
    public double RoadHeatKPerWm2 { get; init; } = 0.008;

    /// <summary>How much warmer than the air the ground beside it stands, K for each W/m² of sun; walls see it.</summary>
    public double GroundHeatKPerWm2 { get; init; }

    /// <summary>True where the ground beside it is water, which keeps its temperature.</summary>
    public bool OnWater { get; init; }

    /// <summary>How much more water the room holds than its air alone.</summary>
    public double MoistureStore { get; init; } = RoomMoisture.StoreFactor;
    public required IReadOnlyList<OpaqueFace> Faces { get; init; }
    public required IReadOnlyList<GlassFace> Windows { get; init; }
    public required IReadOnlyList<HourlyGain> Gains { get; init; }

    /// <summary>Humidity ratio held inside.</summary>
    public double SetpointRatio => MoistAir.RatioFromRh(SetpointC, SetpointRhPct, Weather.PressurePa);

    /// <summary>Dry-air density at the set-point, kg/m³.</summary>
    public double AirDensity => 1 / MoistAir.SpecificVolume(SetpointC, SetpointRatio, Weather.PressurePa);

    /// <summary>Dry air exchanged with outdoors, kg/s.</summary>
    public double InfiltrationKgS => AirDensity * (AirChangesPerHour * VolumeM3 / 3600 + FreshAirM3s);

    /// <summary>The room's moisture from a humidity ratio on.</summary>
    public RoomMoisture Moisture(double ratio) => new(AirDensity * VolumeM3 * MoistureStore, InfiltrationKgS, Weather.PressurePa, ratio);

    /// <summary>Conductance of infiltration, W/K.</summary>
    public double InfiltrationWK => InfiltrationKgS * MoistAir.HeatCapacity(SetpointRatio);
}

/// <summary>Shade by something that stands between sun and skin.</summary>
public interface IShade
{
    /// <summary>Shares of beam and of sky that reach a face.</summary>
    /// <param name="tiltDeg">Tilt of the face.</param>
    /// <param name="relativeAzimuthDeg">Its azimuth against the nose.</param>
    /// <param name="azimuthDeg">Its world azimuth.</param>
    /// <param name="sun">Where the sun stands.</param>
    /// <param name="hour">Time of day.</param>
    (double Beam, double Sky) On(double tiltDeg, double relativeAzimuthDeg, double azimuthDeg, in SunAngles sun, double hour);
}

/// <summary>
/// Heat-balance model of one space: an air node as hub, each face a chain of nodes from the sol-air temperature to the hub,
/// contents as one mass. Solved implicitly (backward Euler): stable at any step, energy-exact per step. Allocation-free once built.
/// </summary>
public sealed class ThermalSpace
{
    private readonly SkinChains _skin;
    private readonly double _airCapacity;
    private readonly double _massCapacity;
    private readonly double _massCoupling;
    private readonly double _infiltration;
    private double _step;
    private double _massDenominator;
    private double _massCoefficient;
    private double _massPart;

    /// <summary>Builds the network.</summary>
    /// <param name="space">The space.</param>
    /// <param name="insideFilm">Inside film resistance by tilt, m²K/W; the cooling films where none are given.</param>
    /// <param name="filmMeanK">Mean temperature for the outside film: 293.15 cooling, 273.15 heating.</param>
    public ThermalSpace(SpaceDescription space, Func<double, double>? insideFilm = null, double filmMeanK = 293.15)
    {
        insideFilm ??= Layers.InsideFilmCooling;
        _skin = new SkinChains(
        [
            .. space.Faces.Select(f => SkinChain.Of(f, OutsideFilm(f, space.Weather.WindMs, filmMeanK), insideFilm(f.TiltDeg))),
            .. space.Windows.Select(SkinChain.Of),
        ]);
        _airCapacity = 5 * space.AirDensity * space.VolumeM3 * MoistAir.HeatCapacity(space.SetpointRatio);
        _massCapacity = space.FloorM2 * space.MassJm2K;
        _massCoupling = space.FloorM2 * space.MassCouplingWm2K;
        _infiltration = space.InfiltrationWK;
    }

    /// <summary>Air temperature, °C.</summary>
    public double AirC { get; private set; }

    /// <summary>Temperature of the contents, °C.</summary>
    public double MassC { get; private set; }

    /// <summary>Hub conductance of the current step, W/K.</summary>
    public double HubA { get; private set; }

    /// <summary>Hub drive of the current step, W.</summary>
    public double HubB { get; private set; }

    /// <summary>Total conductance of skin and bridges, W/K, without infiltration.</summary>
    public double SkinWK => _skin.SteadyWK;

    /// <summary>Coupling of the contents to the air, W/K.</summary>
    public double MassCoupling => _massCoupling;

    /// <summary>Heat capacity of the contents, J/K.</summary>
    public double MassCapacity => _massCapacity;

    /// <summary>Infiltration, W/K.</summary>
    public double Infiltration => _infiltration;

    /// <summary>Number of nodes, air and contents included.</summary>
    public int NodeCount => 2 + _skin.NodeCount;

    /// <summary>Energy in all nodes above 0 °C, J; for the balance.</summary>
    public double StoredJ => _airCapacity * AirC + _massCapacity * MassC + _skin.StoredJ;

    /// <summary>Outside film of a face, W/m²K.</summary>
    public static double OutsideFilm(OpaqueFace face, double windMs, double meanK = 293.15) => face.OutsideFilmWm2K ?? face.FarSide switch
    {
        FarSide.Water => 300,
        FarSide.Ground => 1000,
        FarSide.Neighbour or FarSide.Room => 1 / 0.13,
        FarSide.Attic => 1 / Attic.FilmR,
        FarSide.UnderVehicle => SkyLongWave.OutsideFilm(windMs / 2, face.Emittance, meanK),
        _ => SkyLongWave.OutsideFilm(windMs, face.Emittance, meanK),
    };

    /// <summary>Sets the step length in seconds; needed before the first step.</summary>
    public void Prepare(double stepSeconds)
    {
        _step = stepSeconds;
        _massDenominator = _massCapacity / stepSeconds + _massCoupling;
        _massCoefficient = _massCoupling / _massDenominator;
        HubA = _airCapacity / stepSeconds + _infiltration + _massCoupling * (1 - _massCoefficient) + _skin.Prepare(stepSeconds);
    }

    /// <summary>All nodes to one temperature.</summary>
    public void Reset(double temperatureC)
    {
        AirC = MassC = temperatureC;
        Array.Fill(_skin.Temperatures, temperatureC);
    }

    /// <summary>
    /// Brings all nodes to rest in the mean of a row of steps, with the air held or, where nothing is held, free.
    /// What is left to settle is only how the days swing about their mean.
    /// </summary>
    public void Rest(SpaceDrivers drivers, double? heldC, bool sunOnly = false)
    {
        var mean = new double[drivers.Chains];
        double outdoor = 0, convective = 0, radiant = 0;
        for (var k = 0; k < drivers.Steps; k++)
        {
            var (c, r) = sunOnly ? (GainShares.SunConvective * drivers.GlassSunW[k], GainShares.SunRadiant * drivers.GlassSunW[k]) : drivers.GainSplit(k);
            convective += c / drivers.Steps;
            radiant += r / drivers.Steps;
            outdoor += drivers.OutdoorC[k] / drivers.Steps;
            var at = drivers.At(k);
            for (var i = 0; i < mean.Length; i++)
                mean[i] += at[i] / drivers.Steps;
        }
        AirC = heldC ?? (_skin.SteadyFlow(mean) + _infiltration * outdoor + convective + radiant) / (SkinWK + _infiltration);
        MassC = AirC + (_massCoupling > 0 ? radiant / _massCoupling : 0);
        _skin.Rest(mean, AirC);
    }

    /// <summary>Copies the state of another model of the same description.</summary>
    public void CopyStateFrom(ThermalSpace other)
    {
        AirC = other.AirC;
        MassC = other.MassC;
        other._skin.Temperatures.CopyTo(_skin.Temperatures, 0);
    }

    /// <summary>Takes all node temperatures: air, contents, then the skins' from outside to inside.</summary>
    public void TakeNodes(ReadOnlySpan<double> nodes)
    {
        (AirC, MassC) = (nodes[0], nodes[1]);
        nodes[2..].CopyTo(_skin.Temperatures);
    }

    /// <summary>Forward pass: fixes the hub for the step.</summary>
    /// <param name="drive">Sol-air temperature per face and window, °C.</param>
    /// <param name="outdoorC">Outdoor air.</param>
    /// <param name="convectiveW">Gains straight to the air.</param>
    /// <param name="radiantW">Gains to the contents.</param>
    public void Begin(ReadOnlySpan<double> drive, double outdoorC, double convectiveW, double radiantW)
    {
        _massPart = (_massCapacity / _step * MassC + radiantW) / _massDenominator;
        HubB = _airCapacity / _step * AirC + _infiltration * outdoorC + convectiveW + _massCoupling * _massPart + _skin.Forward(drive);
    }

    /// <summary>Back pass: the air takes a temperature, all nodes follow.</summary>
    public void End(double airC)
    {
        AirC = airC;
        _skin.Back(airC);
        MassC = _massPart + _massCoefficient * airC;
    }

    /// <summary>Heat from one face or window into the air at its present state, W.</summary>
    public double Flow(int chain, double driveC) => _skin.FlowToAir(chain, driveC, AirC);

    /// <summary>Writes all node temperatures over the span and returns the largest change against what stood there, K.</summary>
    public double SwapSnapshot(Span<double> nodes)
    {
        var largest = Math.Max(Math.Abs(nodes[0] - AirC), Math.Abs(nodes[1] - MassC));
        nodes[0] = AirC;
        nodes[1] = MassC;
        var skin = _skin.Temperatures;
        for (var i = 0; i < skin.Length; i++)
        {
            largest = Math.Max(largest, Math.Abs(nodes[i + 2] - skin[i]));
            nodes[i + 2] = skin[i];
        }
        return largest;
    }

    /// <summary>Heat from outside into all chains at the present state, W; for the balance.</summary>
    public double FlowFromOutside(ReadOnlySpan<double> drive) => _skin.FlowFromOutside(drive, AirC);
}
