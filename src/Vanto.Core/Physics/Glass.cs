namespace Vanto.Core.Physics;

/// <summary>What panes let through against normal incidence; common practice.</summary>
public static class Glass
{
    private static readonly double[] Angles = [0, 40, 50, 60, 70, 80, 90];
    private static readonly double[] Single = [1, 0.98, 0.95, 0.91, 0.78, 0.49, 0];
    private static readonly double[] Double = [1, 0.97, 0.93, 0.84, 0.66, 0.34, 0];

    /// <summary>Share of the sun at an angle of incidence that a pane lets through against normal incidence.</summary>
    public static double IncidenceModifier(double incidenceDeg, bool doublePane) => Roots.Interpolate(Angles, doublePane ? Double : Single, incidenceDeg);

    /// <summary>The same for diffuse sun.</summary>
    public static double DiffuseModifier(bool doublePane) => doublePane ? 0.87 : 0.91;
}
