namespace Vanto.Core.Physics;

/// <summary>Ribs and studs as extra conductance beside the clear wall, W/m²K.</summary>
public static class Bridging
{
    /// <summary>Wood, plastic or GRP ribs: areas side by side.</summary>
    public static double ParallelPath(double clearU, double ribU, double ribShare) => (1 - ribShare) * clearU + ribShare * ribU;

    /// <summary>U of a wall with metal ribs by the zone method (ASHRAE Fundamentals ch. 25 and 27, from memory).</summary>
    /// <param name="layers">From outside to inside.</param>
    /// <param name="bridged">Index of the layer that the web runs through.</param>
    /// <param name="flangeM">Width of the rib at the face.</param>
    /// <param name="depthM">From the metal to the nearer face.</param>
    /// <param name="webM">Total web thickness.</param>
    /// <param name="metalWmK">Conductivity of the metal.</param>
    /// <param name="spacingM">Rib to rib.</param>
    /// <param name="insideR">Inside film, m²K/W.</param>
    /// <param name="outsideR">Outside film, m²K/W.</param>
    public static (double U, double ClearU, double ZoneM) ZoneMethod(IReadOnlyList<Layer> layers, int bridged, double flangeM, double depthM, double webM,
        double metalWmK, double spacingM, double insideR, double outsideR)
    {
        var zone = Math.Min(spacingM, flangeM + 2 * Math.Max(depthM, 0.013));
        var resistance = (insideR + outsideR) / zone;
        for (var i = 0; i < layers.Count; i++)
        {
            var layer = layers[i];
            if (layer.Solid is not { } solid)
                resistance += layer.GapResistance / zone;
            else if (i == bridged)
                resistance += layer.ThicknessM / (metalWmK * webM + solid.ConductivityWmK * (zone - webM));
            else
                resistance += layer.ThicknessM / (solid.ConductivityWmK * zone);
        }
        var clear = Layers.Transmittance(layers, insideR, outsideR);
        return ((1 / resistance + (spacingM - zone) * clear) / spacingM, clear, zone);
    }
}
