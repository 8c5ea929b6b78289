namespace Vanto.Core.Physics;

/// <summary>Copper tube of refrigerant lines; walls as makers usually draw them, common practice.</summary>
public static class CopperTube
{
    private const double ThinWallM = 0.8e-3, ThickWallM = 1.0e-3;

    /// <summary>Inch sizes up to a half have the thin wall, all else the thick one; tenths of a millimetre tell them apart.</summary>
    private static readonly double[] ThinWalled = [6.35e-3, 9.52e-3, 12.7e-3];

    private const double SameM = 0.1e-3;

    /// <summary>Inside of a tube by its outside.</summary>
    public static double BoreM(double outsideM) => outsideM - 2 * (ThinWalled.Any(t => Math.Abs(t - outsideM) < SameM) ? ThinWallM : ThickWallM);

    /// <summary>What a metre of it holds, m³/m.</summary>
    public static double VolumeM3m(double outsideM) => Math.PI / 4 * BoreM(outsideM) * BoreM(outsideM);
}
