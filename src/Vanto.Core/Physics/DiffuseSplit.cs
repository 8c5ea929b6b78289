namespace Vanto.Core.Physics;

/// <summary>Cloud, and the split of measured global irradiance into direct and diffuse.</summary>
public static class DiffuseSplit
{
    /// <summary>Share of the clear sky's global irradiance left under a cloud cover 0 to 1 (Kasten and Czeplak 1980, from memory).</summary>
    public static double CloudFactor(double cloud) => 1 - 0.75 * Math.Pow(cloud, 3.4);

    /// <summary>Cloud cover that leaves a share of the clear sky's irradiance.</summary>
    public static double CloudOf(double share) => Math.Pow((1 - Math.Clamp(share, 0.25, 1)) / 0.75, 1 / 3.4);

    /// <summary>Direct and diffuse from global irradiance (Erbs, Klein and Duffie 1982, from memory).</summary>
    /// <param name="global">Global horizontal, W/m².</param>
    /// <param name="cosZenith">Cosine of the zenith angle.</param>
    /// <param name="extraterrestrial">Normal to the sun, W/m².</param>
    public static SkyIrradiance Split(double global, double cosZenith, double extraterrestrial)
    {
        if (cosZenith <= LowSun)
            return new SkyIrradiance(global, 0, global);
        var clearness = Math.Min(1, global / (extraterrestrial * Math.Max(cosZenith, 0.065)));
        var share = clearness <= 0.22
            ? 1 - 0.09 * clearness
            : clearness <= 0.80
                ? 0.9511 + clearness * (-0.1604 + clearness * (4.388 + clearness * (-16.638 + clearness * 12.336)))
                : 0.165;
        return new SkyIrradiance(global, (1 - share) * global / cosZenith, share * global);
    }

    /// <summary>Clearness index.</summary>
    public static double Clearness(double global, double cosZenith, double extraterrestrial) =>
        Math.Min(1, global / (extraterrestrial * Math.Max(cosZenith, 0.065)));

    private static readonly double LowSun = Math.Cos(double.DegreesToRadians(87));
}
