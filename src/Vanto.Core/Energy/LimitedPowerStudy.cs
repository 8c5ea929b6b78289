using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>The day with every set-point moved by some kelvin: what the unit takes and the lowest charge.</summary>
public sealed record DegreeRow(double Kelvin, double AirconWh, double DifferenceWh, double? MinSoc, double HeldHours);

/// <summary>
/// What is switched off next, all before it off too: what the day takes less than as it is set, the lowest charge and the hours of the window held.
/// </summary>
/// <param name="Device">Row of the device in the survey; null where it is the unit that is held back.</param>
public sealed record ShedRow(Phrase Words, int? Device, double SavedWh, double? MinSoc, double HeldHours);

/// <summary>Letting the night drift: half a kelvin warmer each hour after midnight.</summary>
public sealed record NightDrift(double SavedWh, double WarmestC);

/// <summary>Running the rig on limited power.</summary>
public sealed record LimitedPowerView
{
    /// <summary>What each degree costs, by simulation.</summary>
    public required IReadOnlyList<DegreeRow> Degrees { get; init; }

    /// <summary>What a degree is worth, in a sentence.</summary>
    public Phrase Answer => Degrees.FirstOrDefault(d => d.Kelvin == 1) is { } warmer
        ? Phrase.Of($"{1.0:TemperatureDifference} warmer spares {-warmer.DifferenceWh:Energy} a day.") : Phrase.Of($"What a degree costs is not known here.");

    /// <summary>The quick estimate of one degree beside it.</summary>
    public required double QuickWh { get; init; }

    /// <summary>What cooling ahead by <see cref="PreCoolK"/> buys at dusk.</summary>
    public required PreCoolResult PreCool { get; init; }

    /// <summary>Kelvin taken for it.</summary>
    public required double PreCoolK { get; init; }

    /// <summary>What it takes by day.</summary>
    public required double PreCoolDrawnWh { get; init; }

    /// <summary>Sun without a taker on the design day.</summary>
    public required double CurtailedWh { get; init; }

    public required bool WorthIt { get; init; }

    /// <summary>Order of shedding, the first first.</summary>
    public required IReadOnlyList<string> Shed { get; init; }

    /// <summary>Never shed.</summary>
    public required string Never { get; init; }

    /// <summary>The same on this rig, one after another.</summary>
    public required IReadOnlyList<ShedRow> Rows { get; init; }

    /// <summary>Hours of the design day in which the fan alone does it: two kelvin cooler outdoors, and drier.</summary>
    public required IReadOnlyList<int> FanHours { get; init; }

    /// <summary>Hours in which the load is below the unit's lowest steady cooling: it dries better run on at its lowest.</summary>
    public required double BelowLowestHours { get; init; }

    /// <summary>What letting the night drift saves; null where the window has no hour after midnight.</summary>
    public required NightDrift? Drift { get; init; }

    public IReadOnlyList<Finding> Findings { get; init; } = [];
}

/// <summary>What a degree costs and what cooling ahead buys on a rig; made when asked.</summary>
public static class LimitedPowerStudy
{
    private const double AheadK = 2;
    private const int DuskHour = 21;
    private const double FanCoolerK = 2;
    private const double DriftKAnHour = 0.5;
    private const double CapShare = 0.5;

    /// <summary>The study on the rig's design day.</summary>
    public static LimitedPowerView Of(EnergyInputs inputs)
    {
        var day = inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day;
        var hasBank = inputs.Survey.Sources.Battery.Fitted;
        double[] kelvin = [0, -1, 1, 2];
        var runs = new EnergyResult[kelvin.Length];
        Parallel.For(0, runs.Length, i => runs[i] = new DayRun(
            inputs with { Energy = inputs.Energy with { SetpointC = inputs.Energy.SetpointC + kelvin[i], OtherwiseC = inputs.Energy.OtherwiseC + kelvin[i] } },
            day,
            RigDay.StepS).Run().Result);
        var rows = kelvin.Select((k, i) => new DegreeRow(k, runs[i].Ledger.AirconWh, runs[i].Ledger.AirconWh - runs[0].Ledger.AirconWh,
            hasBank ? runs[i].MinSoc : null, runs[i].HeldHours)).OrderBy(r => r.Kelvin).ToList();
        var space = day.Space;
        var model = new ThermalSpace(space);
        var conductance = model.SkinWK + model.Infiltration;
        var cools = runs[0].CoolingWh > 0;
        var cop = cools ? runs[0].CoolingWh / runs[0].Ledger.AirconWh : inputs.Unit.RatedCapacityW / inputs.Unit.RatedPowerW;
        var dusk = new HeldAirLoad(DesignDay.Steps(space.Weather, 900)).Solve(space).SensibleW[DuskHour];
        var ahead = LimitedPower.PreCool(model.MassCapacity, conductance, AheadK, Math.Max(10, dusk));
        var drawn = ahead.StoredWh / (inputs.Unit.SensibleHeatRatio * cop);
        return new LimitedPowerView
        {
            Degrees = rows,
            QuickWh = LimitedPower.DegreeWh(conductance, 24, inputs.Unit.SensibleHeatRatio, cop),
            PreCool = ahead,
            PreCoolK = AheadK,
            PreCoolDrawnWh = drawn,
            CurtailedWh = runs[0].Ledger.CurtailedWh,
            WorthIt = runs[0].Ledger.CurtailedWh >= drawn,
            Shed = LimitedPower.ShedOrder,
            Never = LimitedPower.NeverShed,
            Rows = Shed(inputs, day, runs[0]),
            FanHours = FanHours(space),
            BelowLowestHours = runs[0].Mode.Count(m => m == RunMode.CyclingAtMin) * RigDay.StepS / 3600.0,
            Drift = Drift(inputs, day, runs[0]),
            Findings = cools ? [] : [NeverCools(inputs, runs[0])],
        };
    }

    private static Finding NeverCools(EnergyInputs inputs, EnergyResult run) => run.Mode.Any(m => m is RunMode.Blocked or RunMode.Standby)
        ? Finding.Of(FindingCode.LimitedBlocked, Severity.Caution,
            $"On the design day {inputs.Unit.Name} never cools: the sources do not carry it. What a degree costs is reckoned from its rating, not from a run.")
        : Finding.Of(FindingCode.LimitedIdle, Severity.Note,
            $"On the design day {inputs.Unit.Name} has nothing to cool. What a degree costs is reckoned from its rating, not from a run.");

    /// <summary>What the rig takes from its bank and sources in the day.</summary>
    private static double TakenWh(EnergyResult run) => run.Ledger.AirconWh + run.Ledger.DcLoadWh + run.Ledger.AcLoadWh + run.Ledger.InverterLossWh;

    private static List<ShedRow> Shed(EnergyInputs inputs, RigDay day, EnergyResult asSet)
    {
        var hasBank = inputs.Survey.Sources.Battery.Fitted;
        var steps = new List<(Phrase Words, int? Device, EnergyInputs Then)>();
        var now = inputs;
        void Off(IEnumerable<SheddableDevice> devices)
        {
            foreach (var (device, row) in devices)
            {
                now = now with { Survey = now.Survey with { Devices = [.. now.Survey.Devices.Select((d, i) => i == row ? d with { PowerW = 0 } : d)] } };
                steps.Add((Phrase.Of($"{device.Name}"), row, now));
            }
        }
        var (before, after) = LimitedPower.Order(inputs.Survey);
        Off(before);
        foreach (var kelvin in new[] { 1.0, 2 })
            steps.Add((Phrase.Of($"set-point {kelvin:TemperatureDifference} up"), null,
                now with { Energy = now.Energy with { SetpointC = now.Energy.SetpointC + kelvin, OtherwiseC = now.Energy.OtherwiseC + kelvin } }));
        now = steps[^1].Then;
        var cap = CapShare * inputs.Unit.RatedPowerW;
        now = now with { Energy = now.Energy with { PowerCapW = Math.Min(cap, now.Energy.PowerCapW ?? cap) } };
        steps.Add((Phrase.Of($"unit capped at half its rating"), null, now));
        Off(after);
        var rows = new ShedRow[steps.Count];
        // The devices' heat stays in the day as it was: the rows err to the safe side.
        Parallel.For(0, rows.Length, i =>
        {
            var run = new DayRun(steps[i].Then, day, RigDay.StepS).Run().Result;
            rows[i] = new ShedRow(steps[i].Words, steps[i].Device, TakenWh(asSet) - TakenWh(run), hasBank ? run.MinSoc : null, run.HeldHours);
        });
        return [.. rows];
    }

    private static List<int> FanHours(SpaceDescription space)
    {
        var inside = MoistAir.DewPoint(space.SetpointRatio, space.Weather.PressurePa);
        return [.. Enumerable.Range(0, 24).Where(h => DesignDay.AirC(space.Weather, h + 0.5) < space.SetpointC - FanCoolerK
            && MoistAir.DewPoint(DesignDay.HumidityRatio(space.Weather, h + 0.5), space.Weather.PressurePa) < inside)];
    }

    private static NightDrift? Drift(EnergyInputs inputs, RigDay day, EnergyResult asSet)
    {
        var until = inputs.Energy.To;
        if (!Day.Within(0.5, inputs.Energy.From, until) || until <= 0)
            return null;
        double Kelvin(double hour) => hour < until ? DriftKAnHour * hour : 0;
        var run = new DayRun(inputs, day, RigDay.StepS).RunRaised(Kelvin).Result;
        return new NightDrift(TakenWh(asSet) - TakenWh(run), inputs.Energy.SetpointC + DriftKAnHour * until);
    }
}
