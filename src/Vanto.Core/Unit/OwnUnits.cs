using Vanto.Core.Findings;

namespace Vanto.Core.Unit;

/// <summary>Checks of units typed in by hand.</summary>
public static class OwnUnits
{
    /// <summary>Refuses an entry whose values do not belong together.</summary>
    /// <exception cref="InputException">All faults at once.</exception>
    public static void Check(AcUnit unit)
    {
        var errors = new List<InputError>();
        void Fault(bool bad, string field, Phrase given, Phrase reason)
        {
            if (bad)
                errors.Add(InputError.Fault($"unit.own.{field}", given, Phrase.Of($"{unit.Id}: {reason}")));
        }
        if (unit.Id.Length == 0 || UnitCatalogue.Find(unit.Id) is not null)
            errors.Add(InputError.Fault("unit.own.id", unit.Id, "An own unit needs a name that the catalogue does not use."));
        Fault(unit.RatedCapacityW / unit.RatedPowerW is < 1.5 or > 8, "ratedPowerW", Phrase.Of($"{unit.RatedPowerW:ElectricPower}"),
            Phrase.Of($"cooling over input is {unit.RatedCapacityW / unit.RatedPowerW:Ratio}; it must be 1.5 to 8"));
        if (unit.SingleSpeed)
            Fault(unit.RlaA <= 0 || unit.LraA > 0 && unit.LraA < AcUnit.LeastLockedRotor * unit.RlaA, "lraA", Phrase.Of($"{unit.LraA:Current}"),
                Phrase.Of($"LRA must be at least {AcUnit.LeastLockedRotor:Number} × RLA ({AcUnit.LeastLockedRotor * unit.RlaA:Current}); "
                    + $"got {unit.LraA:Current}"));
        else
        {
            Fault(unit.MinCapacityW / unit.RatedCapacityW is < 0.20 or >= 1, "minCapacityW", Phrase.Of($"{unit.MinCapacityW:Power}"),
                Phrase.Of($"lowest steady cooling must be 20 to 100 % of the rated {unit.RatedCapacityW:Power}; got {unit.MinCapacityW:Power}"));
            Fault(unit.MaxCapacityW / unit.RatedCapacityW is < 1 or > 1.40, "maxCapacityW", Phrase.Of($"{unit.MaxCapacityW:Power}"),
                Phrase.Of($"highest cooling must be 100 to 140 % of the rated {unit.RatedCapacityW:Power}; got {unit.MaxCapacityW:Power}"));
        }
        if (errors.Count > 0)
            throw new InputException(errors);
    }
}
