using System.Globalization;
using Vanto.Core.Findings;

namespace Vanto.Core.Plan;

/// <summary>A pack that is sold.</summary>
public readonly record struct Pack(double Size, decimal Price);

/// <summary>Packs to buy.</summary>
/// <param name="Counts">Of each pack, in the order given.</param>
public sealed record PackChoice(IReadOnlyList<int> Counts, decimal Cost, double Bought, double Surplus)
{
    public int Packs => Counts.Sum();
}

/// <summary>Which packs cover a need: least cost, then fewest packs, then least left over; exact, by dynamic programming.</summary>
public static class PackCover
{
    /// <summary>A need this close above a whole step is that step.</summary>
    private const double Slack = 1e-9;

    private const int MostSteps = 2_000_000;

    /// <summary>Covers a need.</summary>
    /// <param name="need">How much.</param>
    /// <param name="packs">1 to 8, of whole steps.</param>
    /// <param name="step">Least amount that counts: 0.1, or 1 for what is counted.</param>
    /// <exception cref="InputException">No pack, one of no size or below nothing in price, or one that is no whole number of steps.</exception>
    public static PackChoice Of(double need, IReadOnlyList<Pack> packs, double step = 0.1)
    {
        if (packs.Count is < 1 or > 8)
            throw new InputException("packs", $"{packs.Count}", "1 to 8 packs can be compared");
        if (!(need >= 0) || double.IsInfinity(need))
            throw new InputException("need", $"{need}", "a need is nothing or more");
        var sizes = new int[packs.Count];
        for (var i = 0; i < packs.Count; i++)
        {
            var steps = packs[i].Size / step;
            if (!(packs[i].Size > 0) || packs[i].Price < 0 || Math.Abs(steps - Math.Round(steps)) > 1e-6)
                throw new InputException("packs", $"{packs[i].Size} at {packs[i].Price}", $"a pack has a size in steps of {step} and a price");
            sizes[i] = (int)Math.Round(steps);
        }
        var n = (int)Math.Min(int.MaxValue, Math.Ceiling(need / step - Slack));
        if (n > MostSteps)
            throw new InputException("need", $"{need}", $"at most {MostSteps * step} can be covered");
        if (packs.Count == 1)
        {
            var count = (n + sizes[0] - 1) / sizes[0];
            return new PackChoice([count], count * packs[0].Price, count * packs[0].Size, Math.Max(0, count * packs[0].Size - need));
        }
        var best = new (decimal Cost, int Packs, int Bought, int Last)[n + 1];
        for (var want = 1; want <= n; want++)
        {
            best[want] = (decimal.MaxValue, 0, 0, -1);
            for (var i = 0; i < sizes.Length; i++)
            {
                var rest = best[Math.Max(0, want - sizes[i])];
                var now = (Cost: rest.Cost + packs[i].Price, Packs: rest.Packs + 1, Bought: rest.Bought + sizes[i], i);
                if ((now.Cost, now.Packs, now.Bought).CompareTo((best[want].Cost, best[want].Packs, best[want].Bought)) < 0)
                    best[want] = now;
            }
        }
        var counts = new int[packs.Count];
        for (var at = n; at > 0; at = Math.Max(0, at - sizes[best[at].Last]))
            counts[best[at].Last]++;
        var bought = counts.Select((c, i) => c * packs[i].Size).Sum();
        return new PackChoice(counts, n == 0 ? 0 : best[n].Cost, bought, Math.Max(0, bought - need));
    }
}

/// <summary>Working days of suppliers, Monday to Friday less holidays.</summary>
public sealed class SupplierDays(IReadOnlySet<DateOnly>? holidays = null)
{
    private bool Works(DateOnly day) => day.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday) && holidays?.Contains(day) != true;

    /// <summary>So many working days before a day, that day not counted.</summary>
    public DateOnly Back(DateOnly day, int days) => Step(day, days, -1);

    /// <summary>So many working days after it.</summary>
    public DateOnly Forward(DateOnly day, int days) => Step(day, days, 1);

    private DateOnly Step(DateOnly day, int days, int way)
    {
        while (days > 0)
            if (Works(day = day.AddDays(way)))
                days--;
        return day;
    }
}

/// <summary>A tool hired or bought for a job.</summary>
/// <param name="Hire">Day's hire times days; nothing without its price.</param>
/// <param name="Bought">This job's share of the buying; nothing without its price.</param>
/// <param name="Hired">It is hired.</param>
/// <param name="EvenJobs">Jobs of so many days from which buying costs less; nothing where that cannot be said.</param>
public sealed record ToolCost(decimal? Hire, decimal? Bought, bool Hired, int? EvenJobs)
{
    /// <summary>What this job bears; nothing where the way taken has no price.</summary>
    public decimal? Cost => Hired ? Hire : Bought;

    /// <summary>Judges one.</summary>
    /// <param name="days">It is away from the hirer.</param>
    public static ToolCost Of(ToolCostDesign tool, int days)
    {
        decimal? hire = tool.DayPrice is { } day ? QuoteSum.Cent((decimal)day * days) : null;
        decimal? bought = tool.Price is { } price ? QuoteSum.Cent((decimal)price / tool.Jobs) : null;
        var hired = tool.Way switch
        {
            ToolWay.Hired => true,
            ToolWay.Bought => false,
            _ => hire is not null && (bought is null || hire <= bought),
        };
        return new ToolCost(hire, bought, hired,
            hire is > 0 && tool.Price is { } whole && (decimal)whole / hire.Value < int.MaxValue ? (int)Math.Floor((decimal)whole / hire.Value) + 1 : null);
    }
}

/// <summary>A price made from its parts. Every line is rounded to the cent, half away from zero.</summary>
/// <param name="Materials">What is bought.</param>
/// <param name="Labour">Hours times rates.</param>
/// <param name="Other">Tools, way, permit, waste.</param>
/// <param name="Contingency">For what is not seen.</param>
/// <param name="Net">With the margin, less the discount.</param>
/// <param name="Tax">On it.</param>
public sealed record QuoteSum(decimal Materials, decimal Labour, decimal Other, decimal Contingency, decimal Net, decimal Tax)
{
    public decimal Base => Materials + Labour + Other;
    public decimal Cost => Base + Contingency;
    public decimal Gross => Net + Tax;

    /// <summary>To the cent, half away from zero.</summary>
    public static decimal Cent(decimal amount) => Math.Round(amount, 2, MidpointRounding.AwayFromZero);

    /// <summary>The share of the cost that a margin, a share of the price, comes to.</summary>
    public static double Markup(double margin) => margin / (1 - margin);

    /// <summary>The share of the price that a mark-up comes to.</summary>
    public static double Margin(double markup) => markup / (1 + markup);

    /// <summary>Sums it up.</summary>
    /// <param name="lines">Materials, count and price each.</param>
    /// <param name="hours">Hours and rates.</param>
    /// <param name="other">Tools, way, permit, waste.</param>
    /// <param name="contingency">Share of the base.</param>
    /// <param name="margin">Share of the price.</param>
    /// <param name="discount">Share of the price.</param>
    /// <param name="tax">Share of the net.</param>
    /// <exception cref="InputException">A margin that leaves nothing to divide by.</exception>
    public static QuoteSum Of(IEnumerable<(double Count, decimal Each)> lines, IEnumerable<(double Hours, decimal Rate)> hours, IEnumerable<decimal> other,
        double contingency, double margin, double discount, double tax)
    {
        if (margin is < 0 or >= 1)
            throw new InputException("margin", $"{margin}", "a margin is a share of the price: 0 up to less than 1");
        var materials = lines.Sum(l => Cent((decimal)l.Count * l.Each));
        var labour = hours.Sum(h => Cent((decimal)h.Hours * h.Rate));
        var rest = other.Sum(Cent);
        var unseen = Cent((materials + labour + rest) * (decimal)contingency);
        var net = Cent((materials + labour + rest + unseen) / (1 - (decimal)margin) * (1 - (decimal)discount));
        return new QuoteSum(materials, labour, rest, unseen, net, Cent(net * (decimal)tax));
    }
}

/// <summary>What was planned against what it came to; standard costing.</summary>
/// <param name="Price">Because each cost more.</param>
/// <param name="Quantity">Because more was taken.</param>
public readonly record struct Variance(decimal Price, decimal Quantity)
{
    public decimal Total => Price + Quantity;

    public static Variance Of(decimal plannedQuantity, decimal plannedPrice, decimal quantity, decimal price) =>
        new((price - plannedPrice) * quantity, (quantity - plannedQuantity) * plannedPrice);
}

/// <summary>Whether the nitrogen in a bottle is enough for the tests; ideal gas, R 296.8 J/(kg·K), published.</summary>
/// <param name="VolumeM3">Filled in a test.</param>
/// <param name="TestKg">One test takes, with what is lost.</param>
/// <param name="UseKg">The bottle gives.</param>
/// <param name="Tests">So many.</param>
public sealed record NitrogenSupply(double VolumeM3, double TestKg, double UseKg, int Tests)
{
    private const double GasConstant = 296.8;
    private const double Lost = 0.5;
    private const double MarginPa = 5e5;

    public static NitrogenSupply Of(double liquidInsideM, double gasInsideM, double lengthM, double coilM3, double hosesM3, double testPa, double bottlePa,
        double bottleM3, double kelvin)
    {
        var volume = Math.PI / 4 * (liquidInsideM * liquidInsideM + gasInsideM * gasInsideM) * lengthM + coilM3 + hosesM3;
        var test = testPa * volume / (GasConstant * kelvin) * (1 + Lost);
        var use = Math.Max(0, bottlePa - testPa - MarginPa) * bottleM3 / (GasConstant * kelvin);
        return new NitrogenSupply(volume, test, use, (int)Math.Floor(use / test));
    }
}

/// <summary>Minutes and money as a person reads them.</summary>
public static class Readable
{
    /// <summary>Such as 1 h 20 min.</summary>
    public static string Span(double minutes)
    {
        var whole = (int)Math.Round(minutes);
        return whole < 60 ? $"{whole} min" : whole % 60 == 0 ? $"{whole / 60} h" : $"{whole / 60} h {whole % 60} min";
    }

    /// <summary>Minutes of the plan as the clock shows them.</summary>
    public static string Clock(int minute) =>
        string.Create(CultureInfo.InvariantCulture, $"{minute / 60 % 24:00}:{minute % 60:00}");

    /// <summary>Such as EUR 1,234.50.</summary>
    public static string Money(decimal amount, string currency) => string.Create(CultureInfo.InvariantCulture, $"{currency} {amount:#,0.00}");
}
