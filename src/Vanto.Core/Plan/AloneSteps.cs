using Vanto.Core.Layout;
using Vanto.Core.Supply;

namespace Vanto.Core.Plan;

/// <summary>
/// Steps for two that one does with a prop, a hoist or a shelf: what is lifted is known and light, and nobody stands on a ladder. Common practice.
/// </summary>
public static class AloneSteps
{
    /// <summary>What one person lifts alone, kg; common practice.</summary>
    public const double LiftKg = 23;

    /// <summary>One takes so many times the hands of two; the product's own choice.</summary>
    public const double Longer = 1.5;

    /// <summary>What is hung higher is hung from a ladder, m; common practice.</summary>
    private const double ReachM = 1.6;

    /// <summary>Those steps and how much longer their hands take; none where somebody is there to help.</summary>
    public static IReadOnlyDictionary<string, double> Of(PlanSetting s)
    {
        var alone = new Dictionary<string, double>();
        if (s.Design.Crew.Count != 1)
            return alone;
        void Light(string step, double? kilograms, bool ladder)
        {
            if (kilograms is <= LiftKg && !ladder)
                alone[step] = Longer;
        }

        Light("lift-outdoor", s.Sheet.Outdoor.MassKg, s.Layout.Outdoor switch
        {
            { Place: OutdoorPlace.Pad or OutdoorPlace.Deck } => false,
            { Place: OutdoorPlace.Wall or OutdoorPlace.RearFrame, UpM: var up } => up > ReachM,
            _ => true,
        });
        Light("head-hang", s.Sheet.Head.MassKg, !(s.Layout.Head.LowM <= ReachM));
        Light("boat-base", s.Mounted.Workshop.MassKg, false);
        Light("frame-fit", s.Mounted.Workshop.MassKg, s.Layout.Outdoor.Place == OutdoorPlace.Underslung);
        var battery = s.Survey.Sources.Battery;
        Light("batt-set", battery.BankKWh * CellData.Of(battery.Chemistry).KgPerKWh / battery.Blocks, false);
        return alone;
    }
}
