namespace Vanto.Core.Instruments;

/// <summary>What becomes of a reading.</summary>
public enum Arrival { Taken, Duplicate, Late, Suspect, NewRun }

/// <summary>
/// Readings of one instrument and quantity in the order they arrive: what is new, what was there already, what comes too late, what is missing. The
/// rules are this product's own.
/// </summary>
public sealed class InstrumentFeed
{
    /// <summary>Older than the newest by more, a reading is kept but no verdict that was given takes it in.</summary>
    public static readonly TimeSpan LateBy = TimeSpan.FromSeconds(300);

    /// <summary>Ahead of this clock by more, a reading is doubtful.</summary>
    public static readonly TimeSpan Ahead = TimeSpan.FromSeconds(5);

    /// <summary>Silent for so many of its periods, an instrument is stale.</summary>
    private const double StalePeriods = 5;

    private static readonly TimeSpan ShortestPeriod = TimeSpan.FromSeconds(0.5);

    /// <summary>Weight of the newest period in their mean.</summary>
    private const double PeriodWeight = 0.2;

    /// <summary>Numbers that are remembered as missing; older gaps are counted only.</summary>
    private const int MostMissing = 10_000;

    private readonly SortedSet<long> _missing = [];
    private long _highest = -1;
    private DateTimeOffset _newest = DateTimeOffset.MinValue;
    private TimeSpan? _period;

    /// <summary>Times it began to count anew.</summary>
    public int Runs { get; private set; }

    /// <summary>Numbers that have not come.</summary>
    public long Gaps { get; private set; }

    public long Duplicates { get; private set; }

    /// <summary>The newest by the instrument's clock.</summary>
    public InstrumentReading? Last { get; private set; }

    /// <summary>When the last one arrived.</summary>
    public DateTimeOffset ArrivedAt { get; private set; }

    /// <summary>Takes a reading in.</summary>
    /// <param name="reading">As sent.</param>
    /// <param name="now">Of this clock.</param>
    public Arrival Take(InstrumentReading reading, DateTimeOffset now)
    {
        var arrival = Judged(reading, now);
        if (arrival == Arrival.Duplicate)
        {
            Duplicates++;
            return arrival;
        }
        if (Runs == 0)
            Runs = 1;
        if (ArrivedAt != default && now > ArrivedAt)
            _period = _period is { } known ? known + (now - ArrivedAt - known) * PeriodWeight : now - ArrivedAt;
        ArrivedAt = now;
        if (reading.At >= _newest && arrival != Arrival.Suspect)
            (_newest, Last) = (reading.At, reading);
        return arrival;
    }

    private Arrival Judged(InstrumentReading r, DateTimeOffset now)
    {
        var ahead = !(r is { Simulated: true, Rate: not 1 }) && r.At - now > Ahead;
        if (r.Seq <= _highest && !_missing.Contains(r.Seq))
        {
            if (r.At <= _newest)
                return Arrival.Duplicate;
            if (ahead)
                return Arrival.Suspect;
            Gaps += _missing.Count;
            _missing.Clear();
            (_highest, Runs) = (r.Seq, Runs + 1);
            return Arrival.NewRun;
        }
        if (r.Seq > _highest)
        {
            if (_highest >= 0)
            {
                for (var n = Math.Max(_highest + 1, r.Seq - MostMissing); n < r.Seq; n++)
                    _missing.Add(n);
                Gaps += Math.Max(0, r.Seq - MostMissing - _highest - 1);
            }
            _highest = r.Seq;
            while (_missing.Count > MostMissing)
            {
                _missing.Remove(_missing.Min);
                Gaps++;
            }
        }
        else
            _missing.Remove(r.Seq);
        if (ahead)
            return Arrival.Suspect;
        return _newest - r.At > LateBy ? Arrival.Late : Arrival.Taken;
    }

    /// <summary>Numbers that have not come, those that may still come included.</summary>
    public long Missing => Gaps + _missing.Count;

    /// <summary>It has been silent for longer than it ever is.</summary>
    public bool Stale(DateTimeOffset now) => Last is null || now - ArrivedAt > StalePeriods * (_period is { } p && p > ShortestPeriod ? p : ShortestPeriod * 2);
}
