namespace Vanto.Core.Plan;

/// <summary>Minutes in which work may be done; the gap before it is a break that a step may span, or a night.</summary>
/// <param name="From">Whole minutes since 00:00 of the first day.</param>
/// <param name="To">Its end.</param>
/// <param name="BreakBefore">The gap before it is a break.</param>
public readonly record struct WorkWindow(int From, int To, bool BreakBefore);

/// <summary>Start minutes from which a step takes the same time, breaks that it spans included.</summary>
public sealed record StartClass(int Span, IReadOnlyList<(int From, int To)> Starts);

/// <summary>When somebody, or somebody at something, may work.</summary>
public sealed class WorkCalendar
{
    /// <summary>A day, min.</summary>
    public const int Day = 1440;

    /// <summary>Open from the first minute on; for sums without a clock.</summary>
    public static WorkCalendar Always { get; } = new([new WorkWindow(0, 60 * Day, false)]);

    /// <summary>Windows in their order, none empty, none touching another.</summary>
    public IReadOnlyList<WorkWindow> Windows { get; }

    public WorkCalendar(IEnumerable<WorkWindow> windows) : this([.. windows.Where(w => w.To > w.From).OrderBy(w => w.From)])
    {
    }

    private WorkCalendar(WorkWindow[] inOrder)
    {
        Windows = inOrder;
        foreach (var w in inOrder)
            _hash = HashCode.Combine(_hash, w);
    }

    private readonly int _hash;

    /// <inheritdoc />
    public override bool Equals(object? obj) =>
        ReferenceEquals(this, obj) || obj is WorkCalendar other && other._hash == _hash && other.Windows.SequenceEqual(Windows);

    /// <inheritdoc />
    public override int GetHashCode() => _hash;

    /// <summary>The same hours on so many days.</summary>
    /// <param name="days">Days from the first.</param>
    /// <param name="from">Begin, min of the day.</param>
    /// <param name="to">End.</param>
    /// <param name="breakFrom">Begin of the break; none where it is not shorter than the day.</param>
    /// <param name="breakMin">Its length.</param>
    public static WorkCalendar Daily(int days, int from, int to, int breakFrom = 0, int breakMin = 0) => new(Enumerable.Range(0, days).SelectMany(d =>
        breakMin > 0 && breakFrom > from && breakFrom + breakMin < to
            ? [new WorkWindow(d * Day + from, d * Day + breakFrom, false), new WorkWindow(d * Day + breakFrom + breakMin, d * Day + to, true)]
            : new[] { new WorkWindow(d * Day + from, d * Day + to, false) }));

    /// <summary>Minutes that two calendars share. A gap counts as a break where nothing but breaks lie in it.</summary>
    public WorkCalendar And(WorkCalendar other)
    {
        var both = new List<WorkWindow>();
        for (var (i, j) = (0, 0); i < Windows.Count && j < other.Windows.Count;)
        {
            var (a, b) = (Windows[i], other.Windows[j]);
            var (from, to) = (Math.Max(a.From, b.From), Math.Min(a.To, b.To));
            if (to > from)
                both.Add(new WorkWindow(from, to, both.Count > 0 && Breaks(both[^1].To, from) && other.Breaks(both[^1].To, from)));
            (i, j) = a.To < b.To ? (i + 1, j) : (i, j + 1);
        }
        return new WorkCalendar(both.ToArray());
    }

    /// <summary>True where every gap between two minutes is a break.</summary>
    private bool Breaks(int from, int to)
    {
        for (var i = At(from) + 1; i < Windows.Count && Windows[i].From <= to; i++)
            if (!Windows[i].BreakBefore)
                return false;
        return At(to) is >= 0 and var last && Windows[last].To >= to;
    }

    /// <summary>End of the stay in which a minute lies: breaks do not end it, a night does.</summary>
    public int StayEnds(int minute)
    {
        if (At(minute) is not (>= 0 and var i) || minute > Windows[i].To)
            return minute;
        while (i + 1 < Windows.Count && Windows[i + 1].BreakBefore)
            i++;
        return Windows[i].To;
    }

    /// <summary>Minutes from a start to the end of so many minutes of hands, breaks included; null where it cannot be started.</summary>
    /// <param name="start">Minute.</param>
    /// <param name="hands">Of work.</param>
    /// <param name="overBreaks">A break may come between.</param>
    public int? Span(int start, int hands, bool overBreaks)
    {
        if (At(start) is not (>= 0 and var i) || start >= Windows[i].To)
            return null;
        for (var (at, left) = (start, hands); ;)
        {
            if (left <= Windows[i].To - at)
                return at + left - start;
            left -= Windows[i].To - at;
            if (!overBreaks || ++i == Windows.Count || !Windows[i].BreakBefore)
                return null;
            at = Windows[i].From;
        }
    }

    /// <summary>True where some start leaves room for so much work.</summary>
    public bool Holds(int hands, bool overBreaks) => Windows.Any(w => Span(w.From, hands, overBreaks) is not null);

    /// <summary>The last window that begins by a minute; less than nothing before the first.</summary>
    private int At(int minute)
    {
        var (low, high) = (0, Windows.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = Windows[middle].From <= minute ? (middle + 1, high) : (low, middle);
        }
        return low - 1;
    }

    /// <summary>Every minute from which so much work can be started, by how long it then takes.</summary>
    public IReadOnlyList<StartClass> StartClasses(int hands, bool overBreaks)
    {
        var classes = new SortedDictionary<int, List<(int, int)>>();
        for (var i = 0; i < Windows.Count; i++)
        {
            var edges = new SortedSet<int> { Windows[i].From, Windows[i].To };
            // How long it takes changes only after the last start that still ends within a window.
            for (var j = i; j == i || overBreaks && j < Windows.Count && Windows[j].BreakBefore; j++)
                edges.Add(Math.Clamp(LastStart(i, j, hands) + 1, Windows[i].From, Windows[i].To));
            foreach (var (from, next) in edges.Zip(edges.Skip(1)))
                if (Span(from, hands, overBreaks) is { } span)
                {
                    if (!classes.TryGetValue(span, out var starts))
                        classes[span] = starts = [];
                    starts.Add((from, next - 1));
                }
        }
        return [.. classes.Select(c => new StartClass(c.Key, c.Value))];
    }

    /// <summary>Last start in window i from which the work ends within window j.</summary>
    private int LastStart(int i, int j, int hands)
    {
        var inside = 0;
        for (var k = i + 1; k <= j; k++)
            inside += Windows[k].To - Windows[k].From;
        return Windows[i].To - (hands - inside);
    }

    /// <summary>The minute so many working minutes after another; null where the calendar ends before.</summary>
    public int? Advance(int from, int minutes)
    {
        foreach (var w in Windows.Where(w => w.To > from))
        {
            var at = Math.Max(from, w.From);
            if (minutes <= w.To - at)
                return at + minutes;
            minutes -= w.To - at;
        }
        return null;
    }

    /// <summary>Working minutes between two minutes.</summary>
    public int WorkingMinutes(int from, int to) => Windows.Sum(w => Math.Max(0, Math.Min(to, w.To) - Math.Max(from, w.From)));
}
