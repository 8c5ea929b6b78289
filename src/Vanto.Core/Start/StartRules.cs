using Vanto.Core.Quantities;

namespace Vanto.Core.Start;

/// <summary>A rule of the trade beside what the model says.</summary>
/// <param name="Words">What is asked.</param>
/// <param name="Rule">The rule's figure.</param>
/// <param name="Model">The model's; null where it has none.</param>
public sealed record RuleLine(string Words, QuantityKind Quantity, double Rule, double? Model)
{
    /// <summary>True where they are apart by more than half.</summary>
    public bool Apart => Model is { } m && (Rule / m > 1.5 || m / Rule > 1.5);
}

/// <summary>Rules of thumb for starts, always shown beside the model; common practice, no published source.</summary>
public static class StartRules
{
    /// <summary>Direct current for AC watts: a tenth at 12 V, a twentieth at 24 V, a fortieth at 48 V.</summary>
    public static double DcA(double acW, double nominalV) => acW / (10 * nominalV / 12);

    /// <summary>Locked-rotor current from the running one.</summary>
    public static double LraA(double rlaA) => 5.2 * rlaA;

    /// <summary>High-frequency inverter without a soft starter.</summary>
    public static double InverterW(double runningW) => 2 * runningW;

    /// <summary>Generator for a unit of 13,500 to 15,000 BTU/h: 3,500 W, with a soft starter an inverter generator of 2,200 W; null for other sizes.</summary>
    public static double? GeneratorW(double capacityW, bool soft) => capacityW is >= 3900 and <= 4450 ? soft ? 2200 : 3500 : null;
}
