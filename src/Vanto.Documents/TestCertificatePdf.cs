using Vanto.Core.Quantities;
using Vanto.Core.Wiring;

namespace Vanto.Documents;

/// <summary>
/// The tests before power on a page of their own: limits, what was read, the verdict, who read it when, and every record that another one corrects.
/// Instruments, licence and signature are left to be written by hand.
/// </summary>
public static class TestCertificatePdf
{
    private const float Body = 9f;

    private static readonly string[] ByHand = ["Instruments, their numbers and calibration", "Licence", "Name and signature", "Date"];

    /// <summary>Draws it.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="wiring">What the Wiring station found.</param>
    /// <param name="records">All records of tests before power, as they were written.</param>
    /// <param name="units">Units of the paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <returns>PDF bytes.</returns>
    /// <param name="head">Where it is issued with a number.</param>
    public static byte[] Render(string rig, WiringAssessment wiring, IReadOnlyList<PowerTestRecord> records, UnitSystem units, DateOnly date,
        PaperHead? head = null) =>
        SheetPages.Pdf($"{rig}: tests before power", $"{rig}, tests before power, {date:yyyy-MM-dd}, made with Vanto. {WiringStation.Cautions[0]}",
            pages => Draw(pages, rig, wiring, records, units, date, head));

    private static void Draw(SheetPages pages, string rig, WiringAssessment wiring, IReadOnlyList<PowerTestRecord> records, UnitSystem units, DateOnly date,
        PaperHead? head)
    {
        var asked = wiring.Tests.Where(t => t.State != StepState.NotApplicable).ToList();
        var passed = asked.Count(t => t is { State: StepState.Passed, Locked: false });
        pages.Wrapped($"{rig}: tests before power", 20, SheetPages.Left, SheetPages.Across, bold: true);
        pages.Wrapped($"{date:yyyy-MM-dd} · {passed} of {asked.Count} passed in their order · {wiring.RulesWords} rules, recalled", 10, SheetPages.Left,
            SheetPages.Across, passed == asked.Count ? SheetPages.Soft : SheetPages.Stop);
        head?.Draw(pages, Body);
        pages.Rule(SheetPages.Ink, 1.5f);
        if (passed < asked.Count)
            pages.Wrapped("Not complete: this page certifies nothing yet.", 11, SheetPages.Left, SheetPages.Across, SheetPages.Stop, bold: true);
        pages.Wrapped("It tells what was read and how it stands against recalled limits; it does not state that any code is met.", Body, SheetPages.Left,
            SheetPages.Across);
        foreach (var c in wiring.Circuits.Take(1))
            pages.Wrapped($"Circuit 1: {c.Name} from {c.From}, {Display.Text(c.Volts, QuantityKind.Voltage, units)}, {c.Wire}, earth {c.Earth}, {c.Device}"
                + (c.DeviceA is { } amps ? $" {Display.Text(amps, QuantityKind.Current, units)}" : ""), Body, SheetPages.Left, SheetPages.Across);
        pages.Table("Tests", Body, [170, 190, 80, 70], ["", "limit", "read", ""], wiring.Tests.Select(t => new[]
        {
            t.Name, t.Limit.InUnits(units), t.Measured.InUnits(units),
            t.State == StepState.Open ? "open" : t is { Locked: true, State: StepState.Passed } ? "out of order" : Calls.Name(t.State),
        }));
        pages.Table("As it was written down", Body, [100, 80, 330], ["at", "by", ""], records.Select(r => new[]
        {
            r.At.ToString("yyyy-MM-dd HH:mm", System.Globalization.CultureInfo.InvariantCulture), r.By, Readings(r, records, units),
        }));
        if (head is not null)
            head.Sign(pages, Body);
        else
            pages.Heading("By hand", SheetPages.Left);
        foreach (var line in head is null ? ByHand : [])
            pages.Row(24, y =>
            {
                pages.At(line, Body, SheetPages.Left, y + 16, SheetPages.Soft);
                pages.At(new string('.', 70), Body, SheetPages.Left + 210, y + 16, SheetPages.Faint);
            });
        foreach (var caution in WiringStation.Cautions)
            pages.Wrapped("– " + caution, 8, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
    }

    private static string Readings(PowerTestRecord record, IReadOnlyList<PowerTestRecord> all, UnitSystem units)
    {
        var values = PowerTestRecord.Kind.Write(record);
        var read = string.Join("; ", PowerTestRecord.Kind.Fields
            .Select(f => (Field: f, Value: values[f.Path[1..]]))
            .Where(x => x.Value is not null)
            .Select(x => $"{x.Field.Label}: {Display.Text((double)x.Value!, x.Field.Quantity!.Value, units)}"));
        var by = all.FirstOrDefault(r => r.Corrects == record.Id);
        var no = all.ToList().FindIndex(r => r.Id == record.Corrects) + 1;
        return (no > 0 ? $"Corrects record {no}. " : "") + read + (by is null ? "" : $" (corrected by {by.By}, {by.At:yyyy-MM-dd HH:mm})");
    }
}
