using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Service;

/// <summary>A line of the book.</summary>
public sealed record ChargeLine(DateOnly Day, ChargeKind Kind, double Kg, string Cylinder, string By, string Licence, Phrase Words);

/// <summary>The refrigerant of a rig, as the law asks it to be written.</summary>
/// <param name="Kg">In the circuit by the book; nothing before it is known.</param>
/// <param name="YearlyShare">Lost in a year by the last addition, share of the full charge; nothing without one.</param>
/// <param name="Tonnes">CO₂ that its charge is worth.</param>
public sealed record RefrigerantView(IReadOnlyList<ChargeLine> Lines, double? Kg, double? YearlyShare, double? Tonnes, string Refrigerant);

/// <summary>Balance and judgements of the refrigerant; common practice, and the annualising method of 40 CFR 82, from memory.</summary>
public static class RefrigerantBook
{
    private const double ScaleKg = 0.02, ScaleShare = 0.02, YearlyMost = 0.10, DaysAYear = 365;

    /// <summary>Warming against CO₂ over a hundred years, fourth assessment report of the IPCC; from memory.</summary>
    public static double Gwp(RefrigerantKind kind) => kind switch
    {
        RefrigerantKind.R32 => 675,
        RefrigerantKind.R134a => 1430,
        RefrigerantKind.R290 => 3,
        RefrigerantKind.R410A => 2088,
        _ => 1774,
    };

    /// <summary>Share lost in a year: what was added over the full charge, for the days since the last addition, at most a year.</summary>
    /// <exception cref="InputException">No day has gone by.</exception>
    public static double YearlyShare(double addedKg, double fullKg, int days) => days < 1
        ? throw new InputException("days", $"{days}", $"days must be 1 or more; got {days}")
        : addedKg / fullKg * DaysAYear / Math.Min(days, DaysAYear);

    /// <summary>Most that a recovery cylinder takes, kg; four fifths of its volume in liquid at 25 °C, from memory.</summary>
    public static double CylinderMostKg(double litres, double liquidKgM3) => 0.8 * litres / 1000 * liquidKgM3;

    /// <summary>Whether the scale and what was written agree.</summary>
    public static bool Agrees(double beforeKg, double afterKg, double kg) =>
        Math.Abs(Math.Abs(beforeKg - afterKg) - kg) <= Math.Max(ScaleKg, ScaleShare * kg) + 1e-9;

    /// <summary>Keeps the book.</summary>
    /// <param name="records">Standing, in their order.</param>
    /// <param name="unit">Refrigerant of the unit; nothing where its sheet does not say.</param>
    /// <param name="plateKg">Charge by its sheet.</param>
    public static (RefrigerantView View, List<Finding> Findings) Of(IReadOnlyList<ChargeRecord> records, RefrigerantKind? unit, double? plateKg)
    {
        var findings = new List<Finding>();
        var moved = records.Where(r => r.Readings.Kg is not null).Select(r => (Record: r, Day: Days.Of(r.Readings.Day, r.At), r.Readings))
            .OrderBy(m => m.Day).ToList();
        double? balance = plateKg;
        double? yearly = null;
        var full = plateKg;
        var since = moved.Count > 0 ? moved[0].Day : default;
        var additions = 0;
        var repaired = true;
        var lines = new List<ChargeLine>();
        foreach (var (record, day, r) in moved)
        {
            var kg = r.Kg!.Value;
            if (unit is { } own && r.Refrigerant != own)
                findings.Add(Finding.Of(FindingCode.RefrigerantMixed, Severity.Stop,
                    $"{Quantities.Calls.Name(r.Refrigerant)} was written for a unit with {Quantities.Calls.Name(own)}: never mixed."));
            if (r is { BeforeKg: { } before, AfterKg: { } after } && !Agrees(before, after, kg))
                findings.Add(Finding.Of(FindingCode.RefrigerantScale, Severity.Caution,
                    $"On {Days.Text(day)} the cylinder changed by {Math.Abs(before - after):Mass}, {kg:Mass} are written."));
            if (r.Licence.Length == 0 && r.Kind != ChargeKind.Factory)
                findings.Add(Finding.Of(FindingCode.RefrigerantLicence, Severity.Caution,
                    $"On {Days.Text(day)} no licence is written beside the refrigerant; many laws ask it."));
            switch (r.Kind)
            {
                case ChargeKind.Factory:
                    (balance, full, since) = (kg, kg, day);
                    break;
                case ChargeKind.Added:
                    if (additions++ > 0 && !repaired)
                        findings.Add(Finding.Of(FindingCode.RefillWithoutRepair, Severity.Stop,
                            $"Filled a second time, on {Days.Text(day)}, and no leak was found and made tight before: look for it first."));
                    if (full is > 0 and { } charge && day.DayNumber - since.DayNumber is > 0 and var days)
                    {
                        yearly = YearlyShare(kg, charge, days);
                        if (yearly > YearlyMost)
                            findings.Add(Finding.Of(FindingCode.RefrigerantLoses, Severity.Caution,
                                $"It loses {yearly.Value:Fraction} of its charge a year by what was added on {Days.Text(day)}."));
                    }
                    (balance, since, repaired) = (balance + kg, day, r.Repaired);
                    break;
                case ChargeKind.Recovered:
                    balance -= kg;
                    break;
                default:
                    break;
            }
            lines.Add(new ChargeLine(day, r.Kind, kg, r.Cylinder, record.By, r.Licence, Phrase.Of($"{kg:Mass}, {balance ?? 0:Mass} in it then")));
        }
        return (new RefrigerantView(lines, balance, yearly, balance is { } now && unit is { } kind ? now * Gwp(kind) / 1000 : null,
            unit is { } named ? Quantities.Calls.Name(named) : ""), findings);
    }
}
