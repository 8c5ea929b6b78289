using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Service;

/// <summary>How a rig lives, for its reminders.</summary>
public sealed record ServiceDesign : DesignPart
{
    [Ask("Handed over on", Date = true, Help = "reminders count from then")] public string HandedOver { get; init; } = "";
    [Ask("It stands where it is")] public Dust Dust { get; init; } = Dust.Normal;
    [Ask("and")] public Salt Salt { get; init; } = Salt.Inland;
    [Field(QuantityKind.Count, 1, 12, Label = "In use from month")] public int FirstMonth { get; init; } = 1;
    [Field(QuantityKind.Count, 1, 12, Label = "to month")] public int LastMonth { get; init; } = 12;
    [Ask("Otherwise it is")] public MonthUse Otherwise { get; init; } = MonthUse.LaidUp;
    [Field(QuantityKind.Hours, 0, 24, Label = "It runs a day, in those months")] public double HoursADay { get; init; } = 6;
    [Field(QuantityKind.Number, 0, 2000, Label = "Kilometres a day")] public double KmADay { get; init; } = 10;
    public WarrantyDesign Warranty { get; init; } = new();

    /// <summary>A month of use.</summary>
    internal bool Uses(int month) => FirstMonth <= LastMonth ? month >= FirstMonth && month <= LastMonth : month >= FirstMonth || month <= LastMonth;
}

/// <summary>A care of this rig with its date.</summary>
/// <param name="Last">Done last; the handover before that.</param>
/// <param name="Due">Nothing where no day is known to count from, or none within ten years.</param>
/// <param name="Because">Days, run hours or road.</param>
public sealed record CareRow(string Id, string Words, string How, DateOnly? Last, DateOnly? Due, string Because, bool ByOwner);

/// <summary>A line of the rig's life.</summary>
public sealed record LifeLine(DateOnly Day, string What, string By, Phrase Words, string Leaf);

/// <summary>Result of the Service station.</summary>
public sealed record ServiceAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings) : IStationResult
{
    public IReadOnlyList<CareRow> Care { get; init; } = [];

    /// <summary>Care as the owner's guide prints it.</summary>
    public SheetBlock Printed => CarePlan.Printed(Care);

    public IReadOnlyList<LifeLine> Life { get; init; } = [];
    public IReadOnlyList<TrendSeries> Trends { get; init; } = [];
    public RefrigerantView? Refrigerant { get; init; }
    public IReadOnlyList<WarrantyDate> Warranty { get; init; } = [];
    public MoveView? Move { get; init; }

    /// <summary>Water runs down the wall: what to do, in its order.</summary>
    public IReadOnlyList<string> WaterOnWall { get; } =
    [
        "Unit off. Water in the wall does more harm than a warm hour.",
        "Look at the end of the drain outdoors: mud, a nest, the end under water?",
        "Wet vacuum on that end, a rag round it, a minute.",
        "Pour a litre into the tray: it must come out outdoors. If not, the hose sags or lies uphill.",
        "Filter and coil: iced up or dirty, the tray overflows. Wash, dry, start, look after half an hour.",
    ];

    /// <summary>Leaves that know nothing yet; the others stand as their findings do.</summary>
    public IReadOnlyDictionary<string, StationState> Leaves { get; init; } = new Dictionary<string, StationState>();

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}

/// <summary>The Service station: the rig's life after it was handed over.</summary>
public sealed class ServiceStation : Station<ServiceAssessment>
{
    /// <inheritdoc />
    public override string Name => "service";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Keep;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("care", "care", "What is due next, and how is it done?"),
        new("life", "life", "What has this rig been through?"),
        new("trends", "trends", "Does it still do what it did?"),
        new("charge", "refrigerant", "How much is in it, and does it lose any?"),
        new("warranty", "warranty", "What runs out, and what puts it at risk?"),
        new("moving", "moving", "How does it come to another place?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads =>
        [typeof(UnitAssessment), typeof(SurveyDesign), typeof(UnitDesign), typeof(ServiceDesign), typeof(VisitRecord), typeof(TrendRecord), typeof(PartRecord),
            typeof(ChargeRecord), typeof(MoveRecord)];

    /// <inheritdoc />
    public override IReadOnlyList<RecordKind> Keeps => [VisitRecord.Kind, TrendRecord.Kind, PartRecord.Kind, ChargeRecord.Kind, MoveRecord.Kind];

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job)
    {
        var (design, unit) = (job.Design<ServiceDesign>(), job.Result<UnitAssessment>().Unit);
        var visits = job.Records<VisitRecord>().Standing().Select(r => (Record: r, Day: Days.Of(r.Readings.Day, r.At))).OrderBy(v => v.Day).ToList();
        var parts = job.Records<PartRecord>().Standing().Select(r => (Record: r, Day: Days.Of(r.Readings.Day, r.At))).ToList();
        var (move, moveFindings) = Moving.Of(job.Records<MoveRecord>());
        var moved = visits.Where(v => v.Record.Readings.Reason == VisitReason.Moved).Select(v => v.Day).Concat(move.StartedOn).ToList();
        var (trends, trendFindings) = Service.Trends.Of(job.Records<TrendRecord>(), [.. parts.Select(p => (p.Day, p.Record.Readings.Part))], moved);
        var circuit = UnitSheets.Known(job.Design<UnitDesign>(), unit).Circuit;
        var (charge, chargeFindings) = RefrigerantBook.Of(job.Records<ChargeRecord>().Standing(), circuit.Refrigerant, circuit.ChargeKg);
        var care = CarePlan.Of(design, job.Design<SurveyDesign>(), job.Records<VisitRecord>());
        var dates = Service.Warranty.Dates(design.Warranty);
        List<Finding> findings =
        [
            .. trendFindings, .. chargeFindings, .. moveFindings,
            .. Service.Warranty.Risks(design.Warranty, [.. visits.Where(v => !v.Record.Readings.ByOwner).Select(v => v.Day)]),
        ];
        var next = care.Where(c => c.Due is not null).OrderBy(c => c.Due).FirstOrDefault();
        var first = next is null ? Phrase.Of($"Write down when it was handed over: reminders count from there.")
            : Phrase.Of($"Next: {next.Words}, by {Days.Text(next.Due!.Value)}.");
        var ranked = Finding.Ranked(findings);
        var worst = Verdict.Worst(findings);
        return new ServiceAssessment(worst >= StationState.Caution ? new Verdict(worst, ranked[0].Words, first)
            : new Verdict(next is null ? StationState.Open : StationState.Passed, first, Phrase.Of($"{visits.Count} visits are in its book.")), ranked)
        {
            Care = care,
            Trends = trends,
            Refrigerant = charge,
            Warranty = dates,
            Move = move,
            Life = Life(visits, parts, charge, design),
            Leaves = new[]
            {
                ("life", visits.Count + parts.Count == 0), ("trends", trends.Count == 0), ("charge", charge.Kg is null && chargeFindings.Count == 0),
                ("warranty", dates.Count == 0), ("moving", move.State == StationState.Open),
            }.Where(l => l.Item2).ToDictionary(l => l.Item1, _ => StationState.Open),
            Answers = new Dictionary<string, Phrase>
            {
                ["care"] = first,
                ["life"] = Phrase.Of($"{visits.Count} visits, {parts.Count} parts replaced."),
                ["trends"] = trends.FirstOrDefault(t => t.Level >= Severity.Caution)?.Words ?? (trends.Count == 0
                    ? Phrase.Of($"Nothing was read yet. Fifteen minutes of running, then write it down.") : Phrase.Of($"Nothing drifts that can be seen.")),
                ["charge"] = charge.Kg is { } kg ? Phrase.Of($"{kg:Mass} by the book.") : Phrase.Of($"The charge is not in the unit's sheet and not weighed."),
                ["warranty"] = dates.Count == 0 ? Phrase.Of($"Write down from when it runs.")
                    : Phrase.Of($"Its terms: {string.Join(", ", dates.Select(d => $"{d.What} {Days.Text(d.Day)}"))}."),
                ["moving"] = move.Words,
            },
        };
    }

    private static List<LifeLine> Life(List<(VisitRecord Record, DateOnly Day)> visits, List<(PartRecord Record, DateOnly Day)> parts, RefrigerantView charge,
        ServiceDesign design) =>
    [
        .. new IEnumerable<LifeLine>[]
        {
            Days.Read(design.HandedOver) is { } handed ? [new LifeLine(handed, "handed over", "", Phrase.Empty, "care")] : [],
            visits.Select(v => new LifeLine(v.Day, v.Record.Readings.ByOwner ? "by the owner" : Calls.Name(v.Record.Readings.Reason), v.Record.By,
                Said(v.Record.Readings), "life")),
            parts.Select(p => new LifeLine(p.Day, $"{Calls.Name(p.Record.Readings.Part)} replaced", p.Record.By,
                Phrase.Of($"{Calls.Name(p.Record.Readings.Reason)}"), "life")),
            charge.Lines.Select(l => new LifeLine(l.Day, $"refrigerant {Calls.Name(l.Kind)}", l.By, l.Words, "charge")),
        }.SelectMany(l => l).OrderByDescending(l => l.Day),
    ];

    private static Phrase Said(VisitValues v)
    {
        var done = string.Join(", ", CarePlan.Named(v.Done).Select(id => ServiceTasks.All.FirstOrDefault(t => t.Id == id)?.Words ?? id));
        return Phrase.Of($"{string.Join(". ", new[] { done, v.Found, v.Advice }.Where(t => t.Length > 0))}");
    }
}
