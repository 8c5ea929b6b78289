namespace Vanto.Core.Supply;

/// <summary>Lead banks give less charge the faster it is drawn (Peukert 1897, published).</summary>
public static class Peukert
{
    /// <summary>Hours at a steady current.</summary>
    /// <param name="ampHours">Rated charge.</param>
    /// <param name="referenceHours">Hours that the rating is for.</param>
    /// <param name="exponent">Peukert exponent, 1 where nothing is lost.</param>
    /// <param name="currentA">Current drawn, A.</param>
    public static double Hours(double ampHours, double referenceHours, double exponent, double currentA) =>
        referenceHours * Math.Pow(ampHours / (currentA * referenceHours), exponent);
}
