using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Job;

/// <summary>One option beside the others. Values in SI; null where a station has a fault or no weather is known.</summary>
/// <param name="Name">Of the option; empty for the design as it stands.</param>
/// <param name="Unit">Unit chosen.</param>
/// <param name="State">The worst of its stations.</param>
/// <param name="Worst">Its worst finding.</param>
/// <param name="PeakW">Heat at the peak.</param>
/// <param name="GivesW">What the unit gives then.</param>
/// <param name="StartUsed">Share of what the source bears.</param>
/// <param name="Starts">True when it starts and runs on.</param>
/// <param name="HeldHours">Hours of the window held.</param>
/// <param name="MinSoc">Lowest charge of the design day.</param>
/// <param name="WorstWeekSoc">Lowest charge of the year.</param>
/// <param name="YearKWh">What the unit takes in a year.</param>
/// <param name="WarmHours">Hours of the year's windows too warm.</param>
/// <param name="MassKg">Unit, bank and modules.</param>
/// <param name="Cost">Unit, bank, modules, inverter, soft starter and generator at the prices of the sizing.</param>
public sealed record OptionRow(
    string Name, string Unit, StationState State, Finding? Worst, double? PeakW, double? GivesW, double? StartUsed, bool Starts, double? HeldHours, double? MinSoc, double? WorstWeekSoc, double? YearKWh, double? WarmHours,
    double? MassKg, double? Cost);

/// <summary>Several designs of one rig side by side, and which of them the others are compared with.</summary>
public sealed record OptionsView(IReadOnlyList<OptionRow> Rows, string Baseline);

/// <summary>Works the options of a rig out; long work where a year of weather is given.</summary>
public static class OptionsTable
{
    /// <summary>The table: the design as it stands first.</summary>
    /// <param name="rig">The rig with its options.</param>
    /// <param name="weather">A year of weather, or null.</param>
    /// <param name="stop">Ends the work when nobody waits for it any more.</param>
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
        var year = weather is null || all.Energy is null ? null : EnergyYear.Of(new EnergyInputs(design.Survey, design.Load, design.Unit, all.Unit!.Unit, design.Energy, design.Start.ReserveSoc) { Stop = stop }, weather, "");
        var sources = design.Survey.Sources;
        return new OptionRow(
            name, design.Unit.Chosen, all.States.Values.Max(), all.Worst, all.Load?.PeakW, all.Unit?.CapacityW, all.Start?.Used, all.Start?.Outcome == Start.StartOutcome.Starts, all.Energy?.HeldHours,
            sources.Battery.Fitted ? all.Energy?.MinSoc : null, sources.Battery.Fitted ? year?.Weeks.Min(w => w.MinSoc) : null, year?.AirconKWh, year?.WarmHours,
            all.Ledger.FirstOrDefault(e => e.Id == "weight")?.Value.Value,
all.Unit is { } unit ? EquipmentCost.Of(design.Survey.Sources, design.Start.Remedy, unit.Unit, design.Energy.Sizing) : null);
    }
}
