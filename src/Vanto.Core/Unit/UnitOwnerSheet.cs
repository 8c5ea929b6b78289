using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Unit;

/// <summary>What the unit prints for the owner.</summary>
public static class UnitOwnerSheet
{
    public static IEnumerable<SheetBlock> Of(UnitAssessment own)
    {
        var unit = own.Unit;
        yield return new SheetBlock(SheetPlace.Fitted, "What was fitted", SheetForm.Pairs,
        [
            SheetLine.Pair("Unit", Phrase.Of($"{Written(unit)}, {Calls.Name(unit.Kind)}, {unit.RatedCapacityW:Power} rated")),
            SheetLine.Pair("At the design heat", Phrase.Of($"{own.CapacityW:Power}")),
        ]);
        yield return new SheetBlock(SheetPlace.Cautions, "Cautions", SheetForm.Bullets, [.. Cautions(unit)]);
    }

    /// <summary>Its name, with the code of a class of the catalogue.</summary>
    private static string Written(AcUnit unit) => unit.Name == unit.Id ? unit.Id : $"{unit.Name} ({unit.Id})";

    private static IEnumerable<SheetLine> Cautions(AcUnit unit)
    {
        if (!unit.IsDc)
            yield return SheetLine.Sentence(Phrase.Of($"Mains and inverter output kill: switch off, lock off and prove dead before a cover comes off."));
        if (unit.SingleSpeed)
            yield return SheetLine.Sentence(
                Phrase.Of($"Run and start capacitors hold charge after switching off: wait five minutes, discharge, measure."));
        yield return SheetLine.Sentence(Phrase.Of($"Refrigerant burns skin and eyes; only certified people open the circuit."));
    }
}
