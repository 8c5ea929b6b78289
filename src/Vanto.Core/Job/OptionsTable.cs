using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Job;

/// <summary>One option beside the others. Values in SI; null where a station has a fault or no weather is known.</summary>
public sealed record OptionRow
{
    /// <summary>Of the option; empty for the design as it stands.</summary>
    public required string Name { get; init; }

    /// <summary>Unit chosen.</summary>
    public required string Unit { get; init; }

    /// <summary>The worst of its stations.</summary>
    public required StationState State { get; init; }

    public required Finding? Worst { get; init; }

    /// <summary>Heat at the peak.</summary>
    public required double? PeakW { get; init; }

    /// <summary>What the unit gives then.</summary>
    public required double? GivesW { get; init; }

    /// <summary>Share of what the source bears.</summary>
    public required double? StartUsed { get; init; }

    /// <summary>True when it starts and runs on.</summary>
    public required bool Starts { get; init; }

    /// <summary>Hours of the window held.</summary>
    public required double? HeldHours { get; init; }

    /// <summary>Lowest charge of the design day.</summary>
    public required double? MinSoc { get; init; }

    /// <summary>Lowest charge of the year.</summary>
    public required double? WorstWeekSoc { get; init; }

    /// <summary>What the unit takes in a year.</summary>
    public required double? YearKWh { get; init; }

    /// <summary>Hours of the year's windows too warm.</summary>
    public required double? WarmHours { get; init; }

    /// <summary>Unit, bank and modules.</summary>
    public required double? MassKg { get; init; }

    /// <summary>Unit, bank, modules, inverter, soft starter and generator at the prices of the sizing.</summary>
    public required double? Cost { get; init; }
}

/// <summary>Several designs of one rig side by side, and which of them the others are compared with.</summary>
public sealed record OptionsView(IReadOnlyList<OptionRow> Rows, string Baseline)
{
    /// <summary>How many of them do it, in a sentence.</summary>
    public Phrase Answer => Phrase.Of($"Of {Rows.Count} designs "
        + $"{Rows.Count(r => r is { Starts: true, State: not StationState.Stop })} start with nothing that stops them.");
}

/// <summary>Works the options of a rig out; long work where a year of weather is given.</summary>
public static class OptionsTable
{
    /// <summary>The table: the design as it stands first.</summary>
    /// <param name="rig">The rig with its options.</param>
    /// <param name="weather">A year of weather, or null.</param>
    /// <param name="stop">Cancels the work.</param>
    /// <exception cref="InputException">Two options of one name.</exception>
    public static OptionsView Of(JobDesign rig, WeatherYear? weather, CancellationToken stop = default)
    {
        var twice = rig.Options.GroupBy(o => o.Name).FirstOrDefault(g => g.Count() > 1);
        if (twice is not null)
            throw new InputException("options", twice.Key, $"Two options are called \"{twice.Key}\"; give each its own name.");
        List<(string Name, JobDesign Design)> designs = [("", rig), .. rig.Options.Select(o => (o.Name, o.In(rig)))];
        var rows = new OptionRow[designs.Count];
        Parallel.For(0, rows.Length, new ParallelOptions { CancellationToken = stop }, i => rows[i] = Row(designs[i].Name, designs[i].Design, weather, stop));
        return new OptionsView(rows, rig.Options.Any(o => o.Name == rig.Baseline) ? rig.Baseline : "");
    }

    private static OptionRow Row(string name, JobDesign design, WeatherYear? weather, CancellationToken stop)
    {
        var all = Assessor.Assess(design);
        var year = weather is null || all.Energy is null ? null : EnergyYear.Of(
            new EnergyInputs(design.Survey, design.Load, design.Unit, all.Unit!.Unit, design.Energy, design.Start.ReserveSoc) { Stop = stop }, weather, "");
        var sources = design.Survey.Sources;
        return new OptionRow
        {
            Name = name,
            Unit = design.Unit.Chosen,
            State = all.States.Values.Max(),
            Worst = all.Worst,
            PeakW = all.Load?.PeakW,
            GivesW = all.Unit?.CapacityW,
            StartUsed = all.Start?.SurgeUsed,
            Starts = all.Start?.Outcome == Start.StartOutcome.Starts,
            HeldHours = all.Energy?.HeldHours,
            MinSoc = sources.Battery.Fitted ? all.Energy?.MinSoc : null,
            WorstWeekSoc = sources.Battery.Fitted ? year?.Weeks.Min(w => w.MinSoc) : null,
            YearKWh = year?.AirconKWh,
            WarmHours = year?.WarmHours,
            MassKg = all.Ledger.FirstOrDefault(e => e.Id == "weight")?.Value.Value,
            Cost = all.Unit is { } unit ? EquipmentCost.Of(design.Survey.Sources, design.Start.Remedy, unit.Unit, design.Energy.Sizing) : null,
        };
    }
}
