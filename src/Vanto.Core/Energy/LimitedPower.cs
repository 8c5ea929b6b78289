using Vanto.Core.Survey;

namespace Vanto.Core.Energy;

/// <summary>A device of the survey that may be switched off, with its row there.</summary>
public readonly record struct SheddableDevice(DeviceDesign Device, int Row);

/// <summary>What cooling ahead buys: hours the unit may rest, cooling it then need not do, heat stored, Wh.</summary>
public readonly record struct PreCoolResult(double TimeConstantH, double RestH, double AvoidedWh, double StoredWh);

/// <summary>Running on limited power: what may wait, what a degree costs, what cooling ahead buys.</summary>
public static class LimitedPower
{
    /// <summary>The order in which loads are shed, the first first; common practice. What keeps people safe is never on it.</summary>
    public static readonly IReadOnlyList<string> ShedOrder =
    [
        "water heater and other resistance heat", "battery charger on shore or generator", "microwave and kettle", "set-point one or two degrees up",
        "a second unit",
        "the unit on a power cap", "the unit on fan only", "fridge", "lights, water pump, fans",
    ];

    /// <summary>
    /// The rig's own devices in the order they go: those before the unit is held back, the fitter's numbers first and else the largest first;
    /// then those after it. What runs all day, a fridge above all, goes after the unit unless the fitter says otherwise.
    /// </summary>
    public static (IReadOnlyList<SheddableDevice> BeforeUnit, IReadOnlyList<SheddableDevice> AfterUnit) Order(SurveyDesign survey)
    {
        var waiting = survey.Devices.Select((d, i) => new SheddableDevice(d, i)).Where(x => x.Device.MayWait && x.Device.PowerW > 0)
            .OrderBy(x => x.Device.ShedRank ?? int.MaxValue).ThenByDescending(x => x.Device.PowerW).ToList();
        static bool Late(SheddableDevice x) => x.Device.ShedRank is null && x.Device.To - x.Device.From is >= 24 or 0;
        return ([.. waiting.Where(x => !Late(x))], [.. waiting.Where(Late)]);
    }

    public const string NeverShed = "carbon monoxide and smoke alarms, bilge pump, medical devices";

    /// <summary>Cooling ahead by some kelvin in the day for the night: lumped cabin of one capacity and one conductance (closed form).</summary>
    /// <param name="capacityJK">Heat capacity of what cools with the air.</param>
    /// <param name="conductanceWK">Loss, W/K.</param>
    /// <param name="kelvin">Cooled below the set-point.</param>
    /// <param name="sensibleW">Sensible load at the set-point.</param>
    public static PreCoolResult PreCool(double capacityJK, double conductanceWK, double kelvin, double sensibleW)
    {
        var tau = capacityJK / conductanceWK / 3600;
        var rest = tau * Math.Log(1 + conductanceWK * kelvin / sensibleW);
        return new PreCoolResult(tau, rest, sensibleW * rest, capacityJK * kelvin / 3600);
    }

    /// <summary>Quick estimate of what a degree costs over some hours, Wh; the simulation replaces it.</summary>
    public static double DegreeWh(double conductanceWK, double hours, double sensibleShare, double cop) => conductanceWK * hours / (sensibleShare * cop);
}
