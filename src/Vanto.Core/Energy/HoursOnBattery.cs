namespace Vanto.Core.Energy;

/// <summary>Hours on the battery as the owner's sheet prints them; energy balance, common practice.</summary>
public static class HoursOnBattery
{
    /// <summary>Hours from one state of charge to another.</summary>
    public static double Of(double energyWh, double health, double socStart, double socFloor, double inverterEfficiency, double standbyW, double unitW,
        double otherW) =>
        energyWh * health * (socStart - socFloor) / ((unitW + otherW) / inverterEfficiency + standbyW);

    /// <summary>Rounded down as printed: quarter hours to 2 h, half hours to 10 h, whole hours beyond.</summary>
    public static double Printed(double hours)
    {
        var step = hours < 2 ? 0.25 : hours < 10 ? 0.5 : 1;
        return Math.Floor(hours / step + 1e-9) * step;
    }
}
