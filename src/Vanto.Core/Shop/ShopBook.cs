using Vanto.Core.Commission;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Shop;

/// <summary>How near a date is.</summary>
public enum Dueness { [Called("later")] Later, [Called("due")] Due, [Called("overdue")] Overdue }

/// <summary>Something with a date.</summary>
/// <param name="Kind">service, warranty, calibration, licence or stock.</param>
/// <param name="Subject">The rig, person or thing.</param>
/// <param name="Rig">The rig it belongs to; nothing for the shop's own.</param>
/// <param name="Days">From today; below 0 it is past.</param>
public sealed record DueItem(string Kind, string Subject, Guid? Rig, string What, DateOnly Day, int Days, Dueness State, string Leaf)
{
    /// <summary>The care that it is, by its name; empty for what is none.</summary>
    public string Of { get; init; } = "";
}

/// <summary>An instrument and its calibration.</summary>
/// <param name="Due">When it is to be calibrated again; nothing where it never was.</param>
public sealed record InstrumentRow(Guid Id, string Name, string Type, string Serial, string Resolution, string Uncertainty, DateOnly? Calibrated, DateOnly? Due,
    bool Retired)
{
    /// <summary>What its last calibration found it to be off by, share of the reading; nothing where it was not said.</summary>
    public double? OffShare { get; init; }

    public InstrumentType Kind { get; init; }

    /// <summary>Whether it is in calibration on the day of the view.</summary>
    public bool InDate { get; init; }

    /// <summary>How its calibration stands on that day.</summary>
    public string Stands => Due is not { } due ? "never calibrated" : $"{(InDate ? "good until" : "out since")} {Service.Days.Text(due)}";

    /// <summary>Whether what it read on a day may be trusted.</summary>
    public bool Good(DateOnly day) => Due is { } due && Calibrated is { } from && day >= from && day <= due;

    /// <summary>As it stands on a paper.</summary>
    public string Printed(DateOnly day) => $"{Name}{(Serial.Length > 0 ? $", no. {Serial}" : "")}"
        + $"{(Resolution.Length > 0 ? $", shows {Resolution}" : "")}{(Uncertainty.Length > 0 ? $", ± {Uncertainty}" : "")}"
        + (Good(day) ? $", calibrated {Service.Days.Text(Calibrated!.Value)}, good until {Service.Days.Text(Due!.Value)}" : ", NOT IN CALIBRATION");
}

/// <summary>A licence.</summary>
public sealed record LicenceRow(Guid Id, string Person, LicenceScope Scope, string Number, string Region, DateOnly? Issued, DateOnly? Expires)
{
    /// <summary>Whether it holds on a day; without an end it holds.</summary>
    public bool Holds(DateOnly day) => !(day < Issued) && !(day > Expires);
}

/// <summary>A part of the stock.</summary>
/// <param name="OnHand">The last count and what moved since.</param>
/// <param name="OrderAt">To be ordered at so many or fewer; nothing where too little was used to say.</param>
public sealed record StockRow(string Part, double OnHand, double Used, int? OrderAt, bool Order, DateOnly? GoodUntil)
{
    /// <summary>Less than nothing is there by the book: count it.</summary>
    public bool Odd => OnHand < 0;
}

/// <summary>The shop as its log tells it on a day.</summary>
public sealed record ShopView(IReadOnlyList<InstrumentRow> Instruments, IReadOnlyList<LicenceRow> Licences, IReadOnlyList<StockRow> Stock,
    IReadOnlyList<DueItem> Due);

/// <summary>A date of a rig, for the board.</summary>
public sealed record RigDate(Guid Rig, string Name, string Kind, string What, DateOnly Day, string Leaf)
{
    /// <summary>The care that it is, by its name; empty for what is none.</summary>
    public string Of { get; init; } = "";

    /// <summary>It ends then: once past there is nothing to do.</summary>
    public bool Ends { get; init; }
}

/// <summary>Reads the shop's log. Common practice, no published source, but where one is named.</summary>
public static class ShopBook
{
    private const int WindowDays = 180, LeastUses = 3, UsualLeadDays = 14;
    private const double Service95 = 0.95;

    /// <summary>Days before a date at which it is shown as due; common practice.</summary>
    public static int LeadDays(string kind) => kind switch { "service" => 14, "licence" => 60, _ => 30 };

    /// <summary>Months between calibrations where none are typed; common practice, wrenches by ISO 6789, from memory.</summary>
    public static int UsualMonths(InstrumentType type) => type == InstrumentType.Thermometer ? 24 : 12;

    /// <summary>When an instrument is due: by its months, or by its cycles at the rate of late.</summary>
    public static DateOnly? CalibrationDue(DateOnly? calibrated, int months, int? cycleLimit, int? cycles, double? cyclesAWeek)
    {
        if (calibrated is not { } from)
            return null;
        var byMonths = from.AddMonths(months);
        if (cycleLimit is not { } limit || cyclesAWeek is not > 0)
            return byMonths;
        var weeks = Math.Max(0, limit - (cycles ?? 0)) / cyclesAWeek.Value;
        var byCycles = from.AddDays((int)Math.Min(36500, Math.Floor(7 * weeks)));
        return byCycles < byMonths ? byCycles : byMonths;
    }

    /// <summary>A reading as it would have been, with what a calibration found the instrument to be off by.</summary>
    public static double Reread(double reading, double? offShare, double offAdded = 0) => reading * (1 + (offShare ?? 0)) + offAdded;

    /// <summary>Least stock that is enough with this chance until what is ordered comes (Poisson demand, any inventory textbook).</summary>
    /// <param name="mean">Used while it is on its way.</param>
    /// <param name="chance">0.5 to 0.999.</param>
    public static int OrderAt(double mean, double chance)
    {
        var term = Math.Exp(-mean);
        var sum = term;
        var k = 0;
        while (sum < chance)
            sum += term *= mean / ++k;
        return k;
    }

    /// <summary>The shop on a day.</summary>
    /// <param name="records">Its log.</param>
    /// <param name="rigs">Dates of all rigs.</param>
    /// <param name="today">The day.</param>
    public static ShopView View(IReadOnlyList<StationRecord> records, IEnumerable<RigDate> rigs, DateOnly today)
    {
        var instruments = records.OfType<InstrumentRecord>().ToList().Standing().GroupBy(r => r.Readings.Name, StringComparer.OrdinalIgnoreCase)
            .Select(g => Row(g.Last())).Select(r => r with { InDate = r.Good(today) }).ToList();
        var licences = records.OfType<LicenceRecord>().ToList().Standing().Select(r => new LicenceRow(r.Id, r.Readings.Person, r.Readings.Scope,
            r.Readings.Number, r.Readings.Region, Service.Days.Read(r.Readings.Issued), Service.Days.Read(r.Readings.Expires))).ToList();
        var stock = records.OfType<StockRecord>().ToList().Standing().GroupBy(r => r.Readings.Part, StringComparer.OrdinalIgnoreCase)
            .Select(g => Row(g.Key, [.. g], today)).OrderBy(s => s.Part, StringComparer.OrdinalIgnoreCase).ToList();
        var due = new List<DueItem>();
        void Add(string kind, string subject, Guid? rig, string what, DateOnly day, string leaf, string of = "")
        {
            var days = day.DayNumber - today.DayNumber;
            due.Add(new DueItem(kind, subject, rig, what, day, days, days < 0 ? Dueness.Overdue : days <= LeadDays(kind) ? Dueness.Due : Dueness.Later, leaf)
            { Of = of });
        }

        foreach (var r in rigs.Where(r => !r.Ends || r.Day >= today))
            Add(r.Kind, r.Name, r.Rig, r.What, r.Day, r.Leaf, r.Of);
        foreach (var i in instruments.Where(i => !i.Retired && i.Due is not null))
            Add("calibration", i.Name, null, "to be calibrated", i.Due!.Value, "");
        foreach (var l in licences.Where(l => l.Expires is not null))
            Add("licence", l.Person, null, $"licence for {Calls.Name(l.Scope)} ends", l.Expires!.Value, "");
        foreach (var s in stock.Where(s => s.GoodUntil is not null && s.OnHand > 0))
            Add("stock", s.Part, null, "is good no longer", s.GoodUntil!.Value, "");
        return new ShopView(instruments, licences, stock,
            [.. due.OrderByDescending(d => d.State == Dueness.Overdue).ThenBy(d => d.Days).ThenBy(d => d.Subject, StringComparer.Ordinal)]);
    }

    private static InstrumentRow Row(InstrumentRecord r)
    {
        var v = r.Readings;
        var calibrated = Service.Days.Read(v.CalibratedOn);
        return new InstrumentRow(r.Id, v.Name, Calls.Name(v.Type), v.Serial, v.Resolution, v.Uncertainty, calibrated,
            CalibrationDue(calibrated, v.Months ?? UsualMonths(v.Type), v.CycleLimit, v.Cycles, v.CyclesAWeek), v.Retired)
        { OffShare = v.OffShare, Kind = v.Type };
    }

    private static StockRow Row(string part, List<StockRecord> moves, DateOnly today)
    {
        var counted = moves.FindLastIndex(m => m.Readings.Move == StockMove.Counted);
        static double Signed(StockValues v) => v.Move switch { StockMove.Out => -1, StockMove.Counted => 0, _ => 1 } * (v.Many ?? 0);
        var onHand = (counted < 0 ? 0 : moves[counted].Readings.Many ?? 0) + moves.Skip(counted + 1).Sum(m => Signed(m.Readings));
        var from = today.AddDays(-WindowDays);
        var uses = moves.Where(m => m.Readings.Move == StockMove.Out && DateOnly.FromDateTime(m.At.UtcDateTime) >= from).ToList();
        var used = uses.Sum(m => m.Readings.Many ?? 0);
        var lead = moves.Select(m => m.Readings.LeadDays).LastOrDefault(l => l is not null) ?? UsualLeadDays;
        int? at = uses.Count < LeastUses ? null : OrderAt(used / WindowDays * lead, Service95);
        var good = moves.Select(m => Service.Days.Read(m.Readings.GoodUntil)).Where(d => d is not null).Min();
        return new StockRow(part, onHand, used, at, at is { } limit && onHand <= limit, good);
    }

    /// <summary>A person whose licence covers a step on a day; nothing where nobody there holds one.</summary>
    public static LicenceRow? Covers(IEnumerable<LicenceRow> licences, LicenceScope scope, DateOnly day, IReadOnlyCollection<string> present) =>
        licences.FirstOrDefault(l => l.Scope == scope && l.Holds(day) && present.Contains(l.Person, StringComparer.OrdinalIgnoreCase));
}
