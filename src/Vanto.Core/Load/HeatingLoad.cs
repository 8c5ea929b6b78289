using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>Steady heating load by part, W.</summary>
public sealed record HeatingLoadResult(double TotalW, double RoofW, double WallsW, double FloorW, double GlassW, double AirW, double ConductanceWK);

/// <summary>How a balance point came out.</summary>
public enum BalanceKind { At, BelowLowest, AboveHighest }

/// <summary>Heating: steady, without sun, at the coldest night.</summary>
public static class HeatingLoad
{
    /// <summary>Inside films when heat flows outwards, m²K/W.</summary>
    public static double InsideFilm(double tiltDeg) => tiltDeg < 45 ? 0.10 : tiltDeg <= 135 ? 0.13 : 0.17;

    /// <summary>Load of the coldest hour.</summary>
    /// <param name="space">The space; water and ground at the temperatures it carries.</param>
    /// <param name="indoorC">Held inside.</param>
    /// <param name="outdoorC">Outdoor air.</param>
    /// <param name="windMs">Winter wind.</param>
    /// <param name="gainsW">Sure gains that may be counted.</param>
    public static HeatingLoadResult Design(SpaceDescription space, double indoorC, double outdoorC, double windMs, double gainsW = 0)
    {
        double roof = 0, walls = 0, floor = 0, glass = 0, conductance = 0;
        foreach (var face in space.Faces)
        {
            var chain = SkinChain.Of(face, ThermalSpace.OutsideFilm(face, windMs, 273.15), InsideFilm(face.TiltDeg));
            var wk = chain.Bridge + 1 / chain.Conductances.Sum(g => 1 / g);
            conductance += wk;
            var beyond = face.FarSide switch
            {
                FarSide.Water => space.WaterC,
                FarSide.Ground => space.GroundC,
                FarSide.Neighbour => outdoorC + space.NeighbourRiseK,
                _ => outdoorC
            };
            var watts = wk * (indoorC - beyond);
            if (face.Kind == FaceKind.Roof)
                roof += watts;
            else if (face.Kind == FaceKind.Wall)
                walls += watts;
            else
                floor += watts;
        }
        foreach (var window in space.Windows)
        {
            var wk = window.AreaM2 / (1 / window.WindowU + window.CoverR);
            conductance += wk;
            glass += wk * (indoorC - outdoorC);
        }
        var air = space.InfiltrationWK * (indoorC - outdoorC);
        return new HeatingLoadResult(roof + walls + floor + glass + air - gainsW, roof, walls, floor, glass, air, conductance + space.InfiltrationWK);
    }

    /// <summary>Where a heat pump's capacity meets the loss; nothing is read beyond the ends of its curve.</summary>
    /// <param name="curve">Outdoor °C and capacity W, rising temperatures, at least two.</param>
    /// <param name="conductanceWK">Loss of the space.</param>
    /// <param name="indoorC">Held inside.</param>
    /// <param name="gainsW">Sure gains.</param>
    public static (BalanceKind Kind, double OutdoorC) BalancePoint(IReadOnlyList<(double OutdoorC, double Watts)> curve, double conductanceWK, double indoorC,
        double gainsW = 0)
    {
        double Spare(double t) => At(curve, t) - (conductanceWK * (indoorC - t) - gainsW);
        var (low, high) = (curve[0].OutdoorC, curve[^1].OutdoorC);
        if (Spare(low) >= 0)
            return (BalanceKind.BelowLowest, low);
        return Spare(high) < 0 ? (BalanceKind.AboveHighest, high) : (BalanceKind.At, Roots.OfRising(Spare, low, high, 1e-6));
    }

    /// <summary>Capacity of a curve at a temperature inside it.</summary>
    public static double At(IReadOnlyList<(double OutdoorC, double Watts)> curve, double outdoorC) =>
        Roots.Interpolate([.. curve.Select(p => p.OutdoorC)], [.. curve.Select(p => p.Watts)], outdoorC);

    /// <summary>Share left while it defrosts between −7 and +5 °C, where the curve does not include it; common practice.</summary>
    public static double Defrost(double outdoorC) => outdoorC is > -7 and < 5 ? 0.90 : 1;
}
