using Vanto.Core.Load;
using Vanto.Core.Supply;

namespace Vanto.Core.Energy;

/// <summary>What a rig asks of its sources on days that a kit must stand, with all the supply it wants.</summary>
/// <param name="Days">The days.</param>
/// <param name="Case">The unit's draw by step.</param>
/// <param name="WarmHours">Hours of the window in which the unit at full power leaves it too warm; no kit mends that.</param>
/// <param name="WarmestC">Warmest air in the window once it has settled.</param>
internal sealed record SizingDemand(SizingDays Days, EnergyCase Case, double WarmHours, double WarmestC)
{
    /// <summary>Hours too warm that are a matter of steps, not of the unit.</summary>
    private const double SlackHours = 0.05;

    /// <summary>Days run before the one that is repeated, so that the cabin repeats itself.</summary>
    private const int Before = 2;

    /// <summary>True where the unit, fed with all it wants, does not hold the window.</summary>
    public bool UnitLimited => WarmHours > SlackHours;

    /// <summary>Runs the days with all the supply asked for; of several days the most that is drawn at each step.</summary>
    /// <param name="inputs">The rig; its aim decides the window.</param>
    /// <param name="days">The days.</param>
    public static SizingDemand Of(EnergyInputs inputs, SizingDays days)
    {
        var all = days.Days.Select(day => Of(inputs, days, day)).ToList();
        var most = all[0].Case.AirconW!;
        foreach (var other in all.Skip(1))
            most = [.. most.Zip(other.Case.AirconW!, Math.Max)];
        return new SizingDemand(days, all[0].Case with { AirconW = most }, all.Max(d => d.WarmHours), all.Max(d => d.WarmestC));
    }

    private static SizingDemand Of(EnergyInputs inputs, SizingDays days, RigDay day)
    {
        var repeated = days.Begin == DaysBegin.Repeated;
        var run = new DayRun(inputs with { Day = day }, day, RigDay.StepS, repeated ? Before + 1 : days.Count);
        var (demand, free, hours) = run.Free();
        var first = repeated ? demand.Steps / (Before + 1) * Before : 0;
        var window = new AimWindow(inputs, demand);
        var (warm, warmest) = (0.0, double.NegativeInfinity);
        for (var k = first; k < demand.Steps; k++)
        {
            if (!window.Contains(hours[k]) || window.Settles(hours[k]))
                continue;
            warm += window.Warm(hours[k], free.AirC[k]) ? demand.StepS / 3600 : 0;
            warmest = Math.Max(warmest, free.AirC[k]);
        }
        return new SizingDemand(days, (first == 0 ? demand : demand.Cut(first, demand.Steps - first)) with { Recorded = false }, warm, warmest);
    }
}

/// <summary>How a kit stands one row of days.</summary>
/// <param name="Meets">Charge never under the reserve, nothing shed, the unit never left out, and the day repeats where that is asked.</param>
/// <param name="MinSoc">Lowest charge; null where something was shed.</param>
/// <param name="EndSoc">Charge at the end.</param>
/// <param name="GivesOutHour">Hours after the first day begins at which it falls under the reserve or loses the unit.</param>
/// <param name="GeneratorHours">Of a week.</param>
/// <param name="FuelLitres">Of a week.</param>
internal readonly record struct KitRun(bool Meets, double? MinSoc, double EndSoc, double? GivesOutHour, double GeneratorHours, double FuelLitres);

/// <summary>
/// Tries kits on days: the design day is repeated until its end is no lower than its beginning, spells begin where that leaves the bank, days of
/// autonomy and nights that are recharged after begin with a full bank. Electrical side alone, on the unit's draw.
/// </summary>
internal sealed class KitTrial(EnergyInputs inputs, KitEquipment equipment, CancellationToken stop)
{
    private const int MostDays = 200;
    private const double HoursAWeek = 168;

    /// <summary>Days that a generator with its rules is given to come to its rhythm, and days after that over which its hours are counted.</summary>
    private const int Rhythm = 4;

    private int _runs;

    /// <summary>Runs made so far.</summary>
    public int Runs => _runs;

    /// <summary>Tries a kit.</summary>
    /// <param name="asked">The days.</param>
    /// <param name="design">The design day with the same sources, where the days begin after it.</param>
    /// <param name="kit">The kit.</param>
    /// <param name="giveUp">Stops at the first fall under the reserve.</param>
    public KitRun Of(SizingDemand asked, SizingDemand design, KitSize kit, bool giveUp = true)
    {
        if (asked.UnitLimited)
            return new KitRun(false, null, 0, 0, 0, 0);
        var bank = SourceBuilder.Bank(equipment.Bank(kit.Batteries, asked.Days.Aged));
        var tally = new Tally(inputs.ReserveSoc, asked.Case.StepS);
        EnergyResult Run(SizingDemand demand, double startSoc, int times = 1)
        {
            stop.ThrowIfCancellationRequested();
            Interlocked.Increment(ref _runs);
            var days = times == 1 ? demand.Case : demand.Case.Cut(0, demand.Case.Steps, times);
            return EnergySimulation.Run(days with
            {
                Bank = bank,
                Modules = days.Modules with { Count = demand.Days.Sunless ? 0 : kit.Modules },
                StartSoc = startSoc,
                GiveUpSoc = giveUp ? inputs.ReserveSoc : double.NegativeInfinity,
            });
        }
        double Hours(SizingDemand demand) => demand.Case.Steps * demand.Case.StepS / 3600;

        var start = 1.0;
        if (asked.Days.Begin != DaysBegin.Full)
        {
            // A generator acts on the charge and has no day that repeats; it is given days to come to its rhythm.
            var days = design.Case.Generator is null ? MostDays : 1;
            var times = design.Case.Generator is null ? 1 : Rhythm;
            for (var day = 0; day < days; day++)
            {
                var run = Run(design, start, times);
                tally.Add(run, times * Hours(design));
                if (giveUp && tally.Fails)
                    return tally.Done(run, 0);
                if (run.EndSoc >= start - SystemSizing.RepeatsWithin)
                {
                    if (asked.Days.Begin == DaysBegin.Repeated && times == 1)
                        return tally.Done(run, Hours(design));
                    start = run.EndSoc;
                    break;
                }
                start = run.EndSoc;
            }
        }
        var repeats = asked.Days.Begin == DaysBegin.Repeated ? Rhythm : 1;
        var last = Run(asked, start, repeats);
        tally.Add(last, repeats * Hours(asked));
        return tally.Done(last, repeats * Hours(asked));
    }

    /// <summary>What all runs of a kit had in common.</summary>
    private sealed class Tally(double reserveSoc, double stepS)
    {
        private double _min = 1, _hours;
        private double? _givesOut;
        private bool _sheds;

        public bool Fails => _givesOut is not null;

        public void Add(EnergyResult run, double hours)
        {
            _min = Math.Min(_min, run.MinSoc);
            _sheds |= run.CutOffHour is not null || run.AirOffHour is not null;
            if (!SystemSizing.MeetsReserve(run, reserveSoc))
                _givesOut ??= _hours + Math.Min(run.AirOffHour ?? double.PositiveInfinity, run.Steps * stepS / 3600);
            _hours += hours;
        }

        public KitRun Done(EnergyResult last, double hours) => new(!Fails, _sheds ? null : _min, last.EndSoc, _givesOut,
            hours == 0 ? 0 : last.GeneratorHours * HoursAWeek / hours, hours == 0 ? 0 : last.FuelLitres * HoursAWeek / hours);
    }
}
