using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Unit;

namespace Vanto.Documents;

/// <summary>Papers of the proof as PDF (A4): the certificate of the circuit, and the sheet to ask with.</summary>
public static class ProofPdf
{
    private const float Body = 10f;
    private const string ToFill = "________________________________";

    /// <summary>What every one of these papers says.</summary>
    public static IReadOnlyList<string> Cautions { get; } =
    [
        "Local codes, the unit's manual and licensed practice come first; this paper certifies nothing that they ask of somebody else.",
        "A ten-minute vacuum shows dryness and no gross leak; soap under nitrogen finds leaks hundreds of times smaller.",
    ];

    /// <summary>Pressure and vacuum as read, with who and when; a reading that was corrected stands struck out.</summary>
    /// <param name="rig">Name of the rig.</param>
    /// <param name="proof">What was judged.</param>
    /// <param name="records">The log.</param>
    /// <param name="units">Units of the paper.</param>
    /// <param name="date">Date of issue.</param>
    /// <param name="head">Where it is issued with a number.</param>
    public static byte[] Certificate(string rig, CommissionAssessment proof, IReadOnlyList<StationRecord> records, UnitSystem units, DateOnly date,
        PaperHead? head = null) =>
        Made($"{rig}: proof of the circuit", rig, date, pages =>
        {
            head?.Draw(pages, Body);
            var whole = proof.Proof.All(p => p.State == StationState.Passed);
            if (!whole)
                pages.Mark("NOT PROVED YET", 14, SheetPages.Stop);
            pages.Table("Parts of the proof", Body, [90, 330, 80], ["", "", ""],
                proof.Proof.Select(p => new[] { p.Name, p.Words.InUnits(units), Calls.Name(p.State) }));
            if (proof.Tight is { } tight)
                pages.Table("Nitrogen", Body, [60, 120, 100, 200], ["minute", "gauge", "pipe", "read by"], tight.Readings.Select(r => new[]
                {
                    $"{r.Minute:0.#}", Shown(r.GaugePa, QuantityKind.GaugePressure, units),
                    r.PipeC is { } c ? Shown(c, QuantityKind.Temperature, units) : "–", r.By,
                }));
            if (proof.Dry is { } dry)
                pages.Table("Vacuum with the pump shut off", Body, [60, 120, 100, 200], ["minute", "absolute", "as typed", "read by"],
                    dry.Readings.Select(r => new[]
                {
                    $"{r.Minute:0.#}", r.Pa is { } pa ? Shown(pa, QuantityKind.Vacuum, units) : "cannot be", r.Typed, r.By,
                }));
            if (proof.Leaks is { } leaks)
                pages.Table("Joints", Body, [130, 270, 100], ["joint", "found", "by"],
                    leaks.Joints.Select(j => new[] { j.Joint, j.Words.InUnits(units), j.By }));
            var mended = records.Where(r => r is VacuumRecord or NitrogenRecord or LeakRecord && records.Any(o => o.Corrects == r.Id)).ToList();
            if (mended.Count > 0)
                pages.Table("Corrected since", Body, [120, 130, 250], ["when", "by", "it read"], mended.Select(r => new[]
                {
                    $"{r.At:yyyy-MM-dd HH:mm}", r.By, r switch
                    {
                        VacuumRecord v => $"{v.Readings.Value:0.###} {Calls.Name(v.Readings.Unit)}",
                        NitrogenRecord n => n.Readings.GaugePa is { } pa ? Shown(pa, QuantityKind.GaugePressure, units) : "–",
                        LeakRecord l => $"{l.Readings.Joint}: {Calls.Name(l.Readings.Result)}",
                        _ => "",
                    },
                }));
            if (head is not null)
                head.Sign(pages, Body);
            else
                pages.Table("", Body, [170, 330], ["", ""],
                    [["Instruments and their calibration", ToFill], ["Name and licence", ToFill], ["Signature", ToFill]]);
        });

    /// <summary>The start-up, measured beside predicted, stage by stage.</summary>
    public static byte[] StartUp(string rig, CommissionAssessment proof, IReadOnlyList<StationRecord> records, UnitSystem units, DateOnly date,
        PaperHead? head = null) =>
        Made($"{rig}: start-up", rig, date, pages =>
        {
            head?.Draw(pages, Body);
            if (proof.Record is { } record)
                pages.Wrapped($"Read by {record.By}, {record.At:yyyy-MM-dd HH:mm}", Body, SheetPages.Left, SheetPages.Across);
            pages.Table("Measured beside predicted", Body, [150, 80, 80, 200], ["", "measured", "expected", ""], proof.Rows.Select(r => new[]
            {
                r.Label, r.Measured is { } m ? Shown(m.Value, m.Quantity, units) : "not taken", r.Expected is { } e ? Shown(e.Value, e.Quantity, units) : "–",
                $"{Calls.Name(r.Verdict)}: {r.Words.InUnits(units)}",
            }));
            pages.Table("In stages", Body, [150, 60, 300], ["", "", ""], proof.Stages.Select(s => new[]
            {
                s.Name, s.DwellMin > 0 ? $"{s.DwellMin:0} min" : "", s.Words.InUnits(units),
            }));
            var mended = records.Where(r => r is CommissionRecord && records.Any(o => o.Corrects == r.Id)).ToList();
            if (mended.Count > 0)
                pages.Table("Corrected since", Body, [120, 130, 250], ["when", "by", ""],
                    mended.Select(r => new[] { $"{r.At:yyyy-MM-dd HH:mm}", r.By, "another reading stands in its place" }));
            head?.Sign(pages, Body);
        });

    /// <summary>One page for whoever is asked: plate, readings, code, what was looked at, what is likely.</summary>
    public static byte[] Ask(string rig, AcUnit unit, CommissionAssessment proof, string code, UnitSystem units, DateOnly date) =>
        Made($"{rig}: what is wrong?", rig, date, pages =>
        {
            var fault = proof.Fault!;
            List<string[]> plate =
            [
                ["Unit", unit.Name],
                ["Supply", $"{Shown(unit.SupplyVoltageV, QuantityKind.Voltage, units)}{(unit.IsDc ? " DC" : $", {unit.FrequencyHz:0} Hz")}"],
                ["Rated", $"{Shown(unit.RatedCapacityW, QuantityKind.Power, units)}, {Shown(unit.RatedPowerW, QuantityKind.ElectricPower, units)}"],
                ["Its code", code.Length == 0 ? "none typed" : code + (fault.CodeWords.Length > 0 ? $": {fault.CodeWords}" : ", not in the unit's sheet")],
            ];
            pages.Table("The unit", Body, [120, 380], ["", ""], plate);
            pages.Table("Readings", Body, [170, 110, 110, 110], ["", "measured", "expected", ""],
                proof.Rows.Where(r => r.Measured is not null).Select(r => new[]
            {
                r.Label, Shown(r.Measured!.Value, r.Measured.Quantity, units), r.Expected is { } e ? Shown(e.Value, e.Quantity, units) : "–",
                Calls.Name(r.Verdict),
            }));
            pages.Table("What was looked at", Body, [300, 130, 70], ["", "", ""], fault.Said.Select(s => new[] { s.Asks, s.Words, s.By }));
            pages.Table("What is left, by Vanto's book", Body, [380, 120], ["", ""], fault.Causes.Select(c => new[] { c.Name, $"{c.Chance * 100:0.#} %" }));
            pages.Wrapped(fault.Source, 8.5f, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
            pages.Table("What we ask", Body, [500], [""], [[ToFill + ToFill], [ToFill + ToFill]]);
        });

    private static string Shown(double value, QuantityKind kind, UnitSystem units) => Phrase.Of(new Measure(value, kind)).InUnits(units);

    private static byte[] Made(string title, string rig, DateOnly date, Action<SheetPages> draw) =>
        SheetPages.Pdf(title, $"{rig} · {title} · {date:yyyy-MM-dd}", pages =>
        {
            pages.Wrapped(title, 20, SheetPages.Left, SheetPages.Across, bold: true);
            pages.Wrapped($"{date:yyyy-MM-dd}", 10, SheetPages.Left, SheetPages.Across, SheetPages.Soft);
            pages.Rule(SheetPages.Ink, 1.5f);
            foreach (var caution in Cautions)
                pages.Wrapped("– " + caution, Body, SheetPages.Left, SheetPages.Across);
            draw(pages);
        });
}
