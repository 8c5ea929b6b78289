using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Plan;

/// <summary>The job as Plan sees it: what is fitted, where, by whom, when.</summary>
public sealed class PlanSetting
{
    /// <summary>Days that are looked at.</summary>
    public const int Days = 28;

    /// <summary>A roof in the sun is so much warmer than the air, K; common practice.</summary>
    private const double RoofInSunK = 8;

    /// <summary>Nobody works on a roof from here on, °C; common practice.</summary>
    private const double TooHotC = 38;

    /// <summary>Share of a shore breaker that a load of hours may take; NEC 210.20, recalled.</summary>
    private const double Continuous = 0.8;

    /// <summary>Sun's middle at its rise and set, °; by convention.</summary>
    private const double HorizonDeg = -0.833;

    private const double WallPiece = 0.1;

    public required PlanDesign Design { get; init; }
    public required SurveyDesign Survey { get; init; }
    public required UnitDesign UnitDesign { get; init; }
    public required LayoutDesign Layout { get; init; }
    public required MountDesign Mount { get; init; }
    public required WiringDesign Wiring { get; init; }
    public required LayoutAssessment Placed { get; init; }
    public required MountAssessment Mounted { get; init; }
    public required WiringAssessment Wired { get; init; }
    public required AcUnit Unit { get; init; }
    public required UnitSheetDesign Sheet { get; init; }

    private SourcesDesign Sources => Survey.Sources;

    /// <summary>The same with another plan.</summary>
    public PlanSetting With(PlanDesign design) => new()
    {
        Design = design,
        Survey = Survey,
        UnitDesign = UnitDesign,
        Layout = Layout,
        Mount = Mount,
        Wiring = Wiring,
        Placed = Placed,
        Mounted = Mounted,
        Wired = Wired,
        Unit = Unit,
        Sheet = Sheet,
    };

    /// <summary>Only a soft starter is added.</summary>
    public bool SoftStarterOnly => UnitDesign.Work == WorkKind.SoftStarter;

    /// <summary>A split is joined.</summary>
    public bool Split => Unit.JoinedOnSite && UnitDesign.Fits;

    private bool OldGoes => Design.Method.OldUnit || UnitDesign.Work == WorkKind.ReplaceSplit;

    private bool PreCharged => Split && Layout.Line.Kind == LineKind.PreCharged;

    private bool Pump => Split && Layout.Drain.By == DrainBy.Pump;

    /// <summary>Heads.</summary>
    public int Zones => Split ? Math.Clamp(Wiring.Between.Zones.Count, 1, 6) : 1;

    /// <summary>The first day; null where none is set.</summary>
    public DateOnly? FirstDay => DateOnly.TryParseExact(Design.When.FirstDay, "yyyy-MM-dd", out var day) ? day : null;

    /// <summary>Its kinds, facts, schools and counts.</summary>
    public JobShape Shape()
    {
        var kinds = new List<string>();
        if (SoftStarterOnly)
            kinds.Add("soft-start");
        else if (UnitDesign.Work == WorkKind.LayUp)
            kinds.Add("lay-up");
        else if (UnitDesign.Work == WorkKind.Wake)
            kinds.Add("wake-up");
        else if (Split)
        {
            kinds.Add(LoadCases.On(Survey.Kind) switch
            {
                RigBase.Boat => "split-boat",
                RigBase.Vehicle => "split-vehicle",
                _ => Layout.Outdoor.Place is OutdoorPlace.Pad or OutdoorPlace.Deck ? "split-pad" : "split-wall",
            });
            if (PreCharged)
                kinds.Add("quick-connect");
            if (Zones > 1)
                kinds.Add("dual-zone");
            if (Pump)
                kinds.Add("condensate-pump");
            if (Unit.Kind == AcKind.PvAssistedSplit)
                kinds.Add("pv-assist");
        }
        else
        {
            kinds.Add("rooftop");
            if (Wired.Starter is not null)
                kinds.Add("soft-start");
        }
        if (Design.Method.Battery)
            kinds.Add("battery");
        if (Design.Method.Modules && Sources.Modules.Count > 0)
            kinds.Add("pv-string");
        return new JobShape(kinds, Tags(), Drivers(), Zones, Design.When.Pace)
        {
            Own = OwnSteps.Of(Design.Own, TaskLibrary.Standard),
            Alone = AloneSteps.Of(this),
        };
    }

    private Dictionary<string, string> Tags()
    {
        var m = Design.Method;
        static string Yes(bool it) => it ? "yes" : "no";
        return new Dictionary<string, string>
        {
            ["flare"] = m.Flare == FlareSchool.Own ? "own" : "factory",
            ["tighten"] = Camel(m.Tighten),
            ["prove"] = PreCharged ? "precharged" : Camel(m.Prove),
            ["gauge"] = Camel(m.Gauge),
            ["level"] = Camel(m.Level),
            ["valve"] = m.Valve switch { ValveSchool.GasFirst => "gas-first", ValveSchool.LiquidFirst => "liquid-first", _ => "crack" },
            ["slack"] = PreCharged ? "coil" : Camel(m.Slack),
            ["drain"] = Pump ? "pump" : "gravity",
            ["leak"] = Camel(m.Leak),
            ["wall"] = Layout.Wall.Build switch
            {
                WallBuild.Ribs => "skin",
                WallBuild.Masonry => "solid",
                WallBuild.Sandwich => "sandwich",
                _ => "wood",
            },
            ["exit"] = Layout.Head.Exit == HeadExit.Left ? "left" : "right",
            ["hole"] = m.HoleThere ? "existing" : "new",
            ["opening"] = m.OpeningThere ? "existing" : "new",
            ["old"] = OldGoes ? "remove" : "none",
            ["lines"] = Split && OldGoes && m.LinesThere && !PreCharged ? "reused" : "new",
            ["charge"] = m.ChargeLost ? "lost" : "there",
            ["pump"] = m.HandPump ? "hand" : "electric",
            ["hoses"] = m.HosesUnderVacuum ? "under" : "after",
            ["fluid"] = RoomCharge.FlameClass(Sheet.Circuit.Refrigerant),
            ["law"] = m.CertifiedJoining ? "certified" : "free",
            ["pad"] = Mount.Slab.Cast && Layout.Outdoor.Place == OutdoorPlace.Pad ? "pour" : "ready",
            ["soakaway"] = Yes(Layout.Drain.Pit),
            ["heats"] = Yes(m.Heats),
            ["permit"] = Yes(m.Permit),
            ["source"] = Sources.Shore.PluggedIn ? "grid" : Sources.Generator.Fitted ? "generator" : Sources.Inverter.Fitted ? "inverter" : "grid",
            ["circuit"] = m.CircuitThere ? "existing" : "new",
            ["extra"] = Yes(m.ExtraCharge && !PreCharged),
        };
    }

    private static string Camel<T>(T value) where T : struct, Enum => value.ToString().ToLowerInvariant();

    private Dictionary<string, double> Drivers()
    {
        var drivers = new Dictionary<string, double>
        {
            ["wall100mm"] = Math.Ceiling(Layout.Wall.ThicknessM / WallPiece - 1e-9),
            ["supplyM"] = Wired.Branch.WayM,
            ["modules"] = Sources.Modules.Count,
            ["pvFeet"] = 2 * Sources.Modules.Count,
            ["pvCableM"] = Wiring.Pv.CableM,
            ["batteries"] = Sources.Battery.Blocks,
        };
        if (Placed.Ways.Count > 0)
        {
            drivers["runM"] = Placed.Ways[0].LengthM;
            drivers["bends"] = Placed.Ways[0].Bends;
        }
        if (Placed.Drain is { Along.Count: > 0 } drain)
            drivers["drainM"] = drain.Along[^1];
        if (Mounted.Workshop is { Parts.Count: > 0 } shop)
        {
            drivers["cutPieces"] = shop.Parts.Sum(p => p.Count);
            drivers["drilledHoles"] = shop.Holes.Count;
        }
        if (Mounted.Slab is { } slab)
            drivers["slabBags"] = slab.Bags;
        drivers["bolts"] = 2 * Mount.Fixing.InRow * Mount.Fixing.Rows;
        return drivers;
    }

    /// <summary>Watts for tools; null where the mains of a building give them.</summary>
    public double? SupplyW => Design.When.SupplyW ?? (LoadCases.On(Survey.Kind) == RigBase.Building ? null
        : Sources.Shore.PluggedIn ? Sources.Shore.Volts * Sources.Shore.BreakerA * Continuous
        : Sources.Generator.Fitted ? Sources.Generator.RatedW
        : Sources.Inverter.Fitted && Sources.Battery.Fitted ? Sources.Inverter.ContinuousW : null);

    /// <summary>Minutes of the day between the sun's rise and set; the whole day where it does neither.</summary>
    public (int From, int To) Daylight() => _light ??= UpFromTo();

    private (int, int)? _light;

    private (int, int) UpFromTo()
    {
        const int every = 5;
        var (year, month, day) = FirstDay is { } first ? (first.Year, first.Month, first.Day) : (WeatherCalendar.Year, Survey.Place.Month, Survey.Place.Day);
        bool Up(int minute) => Sun.Position(year, month, day, minute / 60.0, Survey.Place.UtcOffsetH, Survey.Place.LatitudeDeg, Survey.Place.LongitudeDeg)
            .ElevationDeg > HorizonDeg;
        var up = Enumerable.Range(0, WorkCalendar.Day / every).Select(i => i * every).Where(Up).ToList();
        return up.Count == 0 ? (0, WorkCalendar.Day) : (up[0], up[^1] + every);
    }

    /// <summary>Minutes of the hottest day in which nobody works on the roof; empty where it never gets so hot.</summary>
    public (int From, int To)? TooHot() => TooHot(RoofInSunK);

    private (int From, int To)? TooHot(double moreK)
    {
        var weather = RigBox.Weather(Survey.Place);
        var hot = Enumerable.Range(0, 24).Where(h => Math.Max(DesignDay.AirC(weather, h), DesignDay.AirC(weather, h + 1)) + moreK >= TooHotC).ToList();
        return hot.Count == 0 ? null : (hot[0] * 60, (hot[^1] + 1) * 60);
    }

    /// <summary>Hours of the crew.</summary>
    public WorkCalendar Hours() => _hours ??= Made();

    private WorkCalendar? _hours;

    private WorkCalendar Made()
    {
        var (w, first) = (Design.When, FirstDay);
        bool Works(int day) => w.Weekends || first?.AddDays(day).DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday);
        var (from, to, at, pause) = ((int)(w.From * 60), (int)(w.To * 60), (int)(w.BreakAt * 60), (int)(w.BreakH * 60));
        return new WorkCalendar(Enumerable.Range(0, Days).Where(Works).SelectMany(d => WorkCalendar.Daily(1, from, to, at, pause).Windows
            .Select(x => x with { From = x.From + d * WorkCalendar.Day, To = x.To + d * WorkCalendar.Day })));
    }

    /// <summary>The same stretches of every day.</summary>
    private static WorkCalendar Every(params (int From, int To)[] stretches) => new(Enumerable.Range(0, Days)
        .SelectMany(d => stretches.Select(s => new WorkWindow(d * WorkCalendar.Day + s.From, d * WorkCalendar.Day + s.To, false))));

    /// <summary>Minutes that the day allows a step; null is any.</summary>
    private Func<LibraryTask, WorkCalendar?> Allowed()
    {
        var light = Design.When.ByDaylight ? Daylight() : (0, WorkCalendar.Day);
        WorkCalendar? lit = Design.When.ByDaylight ? Every(light) : null, roof = Cool(RoofInSunK), below = Cool(0);
        WorkCalendar? Cool(double moreK) => Design.When.OutOfHeat && TooHot(moreK) is { } hot ? Every((0, hot.From), (hot.To, WorkCalendar.Day)) : null;
        var known = new Dictionary<(bool, bool, bool, bool, double?), WorkCalendar?>();
        return t =>
        {
            var (limits, roofed, outlook) = (t.Limits, t.Place == "roof", t.Place != "inside" && Design.Outlook.Count > 0);
            var key = (limits.HotHoursBarred, roofed, limits.Daylight, outlook && limits.Dry, outlook ? limits.WindMaxMs : null);
            if (known.TryGetValue(key, out var hours))
                return hours;
            WorkCalendar?[] all = [limits.HotHoursBarred ? roofed ? roof : below : null, limits.Daylight ? lit : null,
                outlook && (limits.Dry || limits.WindMaxMs is not null) ? Fair(limits) : null];
            return known[key] = all.OfType<WorkCalendar>().Aggregate((WorkCalendar?)null, (a, b) => a is null ? b : a.And(b));
        };
    }

    /// <summary>Hours in which it is neither too wet nor too windy for a step.</summary>
    private WorkCalendar Fair(TaskLimits limits)
    {
        var foul = Design.Outlook.Where(o => limits.Dry && o.Wet || limits.WindMaxMs is { } most && o.WindMs > most)
            .Select(o => (From: (o.Day - 1) * WorkCalendar.Day + (int)(o.From * 60), To: (o.Day - 1) * WorkCalendar.Day + (int)(o.To * 60)))
            .OrderBy(f => f.From);
        var (windows, at) = (new List<WorkWindow>(), 0);
        foreach (var (from, to) in foul)
        {
            windows.Add(new WorkWindow(at, from, false));
            at = Math.Max(at, to);
        }
        windows.Add(new WorkWindow(at, Days * WorkCalendar.Day, false));
        return new WorkCalendar(windows);
    }

    private static readonly HashSet<string> Electrician = ["electrician"], Handler = ["handler"], Both = ["electrician", "handler"], Neither = [];

    /// <summary>True where the refrigerant of the job burns.</summary>
    public bool Burns => Split && RoomCharge.FlameClass(Sheet.Circuit.Refrigerant) != "a1";

    /// <summary>The crew as workers.</summary>
    public IReadOnlyList<Worker> Crew()
    {
        var hours = Hours();
        var burns = Burns;
        return [.. Design.Crew.Select(c => new Worker(c.Name, c.Licence switch
        {
            Licence.Electrician => Electrician,
            Licence.Handler => burns && !c.Flammable ? Neither : Handler,
            Licence.Both => burns && !c.Flammable ? Electrician : Both,
            _ => Neither,
        }, hours, c.Helper))];
    }

    /// <summary>Steps on site as a problem of time.</summary>
    public ScheduleProblem Problem(TaskNetwork net)
    {
        var allowed = Allowed();
        var tasks = net.OnSite.Select(x => x.Work with
        {
            Allowed = allowed(x.Step.Task),
            NotBefore = (int)(Design.When.From * 60),
            Wait = x.Step.Id == "pad-pour" && Mounted.Slab is { } slab
                ? Math.Max(x.Work.Wait, (int)Math.Ceiling(slab.WaitDays * WorkCalendar.Day)) : x.Work.Wait,
        });
        return new ScheduleProblem([.. tasks], Crew(), new Dictionary<string, int> { ["vacuum-pump"] = Design.When.Pumps }, SupplyW);
    }
}
