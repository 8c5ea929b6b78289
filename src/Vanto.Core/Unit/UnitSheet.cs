using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Unit;

/// <summary>What the unit prints for the owner.</summary>
public static class UnitSheet
{
    public static IEnumerable<SheetBlock> Of(UnitAssessment own)
    {
        var unit = own.Unit;
        yield return new SheetBlock(SheetPlace.Fitted, "What was fitted", SheetForm.Pairs,
        [
            SheetLine.Pair("Unit", Phrase.Of($"{unit.Id}, {Calls.Name(unit.Kind)}, {unit.RatedCapacityW:Power} rated, {unit.SupplyVoltageV:Voltage}")),
            SheetLine.Pair("At the design heat", Phrase.Of($"{own.CapacityW:Power}")),
        ]);
        yield return new SheetBlock(SheetPlace.Cautions, "Cautions", SheetForm.Bullets, [.. Cautions(unit)]);
    }

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
