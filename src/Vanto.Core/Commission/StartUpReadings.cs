using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Core.Commission;

/// <summary>Readings of one start-up as typed; an empty one was not taken.</summary>
public sealed record StartUpReadings : DesignPart
{
    [Field(QuantityKind.Vacuum, 0.13, 150000, Label = "Vacuum when the pump was shut off", Optional = true)] public double? VacuumStartPa { get; init; }
    [Field(QuantityKind.Vacuum, 0.13, 150000, Label = "Vacuum ten minutes later", Optional = true)] public double? VacuumEndPa { get; init; }
    [Field(QuantityKind.Current, 0.1, 2000, Label = "Start current, clamp meter on inrush", Optional = true)] public double? StartA { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts at the terminals, running", Optional = true)] public double? RunV { get; init; }
    [Field(QuantityKind.Current, 0.1, 400, Label = "Amperes, running", Optional = true)] public double? RunA { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 20000, Label = "Watts, running", Optional = true)] public double? RunW { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Air into the head", Optional = true)] public double? EnteringC { get; init; }
    [Field(QuantityKind.Percent, 2, 100, Label = "its humidity", Optional = true)] public double? EnteringRhPct { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Air out of the head", Optional = true)] public double? LeavingC { get; init; }
    [Field(QuantityKind.Temperature, -20, 60, Label = "Air outdoors", Optional = true)] public double? OutdoorC { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts before it starts", Optional = true)] public double? RestV { get; init; }
    [Field(QuantityKind.Voltage, 8, 280, Label = "Volts with the fan alone", Optional = true)] public double? FanV { get; init; }
    [Field(QuantityKind.Current, 0.05, 100, Label = "Amperes with the fan alone", Optional = true)] public double? FanA { get; init; }
    [Field(QuantityKind.Voltage, 0, 280, Label = "Lowest volts as it starts", Optional = true)] public double? SagV { get; init; }
    [Field(QuantityKind.Percent, 2, 100, Label = "Humidity out of the head", Optional = true)] public double? LeavingRhPct { get; init; }
    [Field(QuantityKind.AirFlow, 0.01, 3, Label = "Air flow of the head", Optional = true)] public double? AirM3s { get; init; }
    [Ask("measured where it blows out")] public bool AirAtOutlet { get; init; }
    [Field(QuantityKind.SmallVolume, 1e-4, 0.02, Label = "Water poured into the tray", Optional = true)] public double? DrainPouredM3 { get; init; }
    [Field(QuantityKind.SmallVolume, 0, 0.02, Label = "of it came out", Optional = true)] public double? DrainOutM3 { get; init; }
    [Field(QuantityKind.Count, 0, 8, Label = "Zones that ran alone", Optional = true)] public int? ZonesAlone { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 20000, Label = "Watts, all zones together", Optional = true)] public double? ZonesW { get; init; }
    [Field(QuantityKind.ElectricPower, 5, 20000, Label = "Watts, mean of half an hour or more", Optional = true)] public double? MeanW { get; init; }
    [Field(QuantityKind.Percent, 0, 100, Label = "Battery's charge then", Help = "empty is full", Optional = true)] public double? ChargePct { get; init; }
    [Field(QuantityKind.GaugePressure, -90000, 5e6, Label = "Gas line, gauge", Optional = true)] public double? GasLinePa { get; init; }
    [Field(QuantityKind.Temperature, -40, 120, Label = "Gas line, warmth", Optional = true)] public double? GasLineC { get; init; }
    [Field(QuantityKind.GaugePressure, -90000, 5e6, Label = "Liquid line, gauge", Help = "most small splits have no port there", Optional = true)]
    public double? LiquidLinePa { get; init; }
    [Field(QuantityKind.Temperature, -40, 120, Label = "Liquid line, warmth", Optional = true)] public double? LiquidLineC { get; init; }
    [Ask("in the maker's fixed-speed test")] public bool FixedSpeed { get; init; }
    [Field(QuantityKind.Voltage, 1, 1000, Label = "Array, volts", Optional = true)] public double? ArrayV { get; init; }
    [Field(QuantityKind.Current, 0, 200, Label = "Array, amperes", Optional = true)] public double? ArrayA { get; init; }
    [Field(QuantityKind.Irradiance, 50, 1400, Label = "Sun on the modules", Optional = true)] public double? SunWm2 { get; init; }
    [Field(QuantityKind.Temperature, -30, 100, Label = "Back of a module", Optional = true)] public double? CellC { get; init; }
    [Field(QuantityKind.Number, 15, 120, Label = "Sound, dB", Optional = true)] public double? SoundDb { get; init; }
    [Field(QuantityKind.Length, 0.2, 50, Label = "that far from the outdoor unit", Optional = true)] public double? SoundM { get; init; }
    [Field(QuantityKind.Temperature, -10, 60, Label = "Heating: air into the head", Optional = true)] public double? HeatEnteringC { get; init; }
    [Field(QuantityKind.Temperature, -10, 80, Label = "Heating: air out of the head", Optional = true)] public double? HeatLeavingC { get; init; }
    [Field(QuantityKind.Temperature, -30, 40, Label = "Heating: air outdoors", Optional = true)] public double? HeatOutdoorC { get; init; }
}

/// <summary>The readings of one start-up.</summary>
/// <param name="Readings">The readings.</param>
public sealed record CommissionRecord(Guid Id, DateTimeOffset At, string By, StartUpReadings Readings, Guid? Corrects)
    : ReadingsRecord<StartUpReadings>(Id, At, By, Readings, Corrects)
{
    public static readonly RecordKind Kind =
        new RecordKind<CommissionRecord, StartUpReadings>("start-up", "reading of a start-up",
            (h, readings) => new CommissionRecord(h.Id, h.At, h.By, readings, h.Corrects));
}

/// <summary>Readings that are taken together.</summary>
/// <param name="Title">When, or of what.</param>
/// <param name="Fields">Names of the readings.</param>
/// <param name="Always">Asked of every start-up; the others are folded away.</param>
public sealed record ReadingGroup(string Title, IReadOnlyList<string> Fields, bool Always)
{
    /// <summary>The groups of a job: nothing is asked of what was not opened or is not there.</summary>
    internal static IReadOnlyList<ReadingGroup> Of(bool opened, StartUpFacts f)
    {
        static ReadingGroup Group(string title, bool always, params string[] fields) =>
            new(title, [.. fields.Select(n => char.ToLowerInvariant(n[0]) + n[1..])], always);
        List<ReadingGroup> groups =
        [
            Group("Before it starts", true, nameof(StartUpReadings.RestV), nameof(StartUpReadings.FanV), nameof(StartUpReadings.FanA)),
            Group("As it starts", true, nameof(StartUpReadings.StartA), nameof(StartUpReadings.SagV)),
            Group("Running", true, nameof(StartUpReadings.RunV), nameof(StartUpReadings.RunA), nameof(StartUpReadings.RunW)),
            Group("The air", true, nameof(StartUpReadings.EnteringC), nameof(StartUpReadings.EnteringRhPct), nameof(StartUpReadings.LeavingC),
                nameof(StartUpReadings.OutdoorC)),
            Group("Air flow, for its capacity", false, nameof(StartUpReadings.LeavingRhPct), nameof(StartUpReadings.AirM3s),
                nameof(StartUpReadings.AirAtOutlet)),
            Group("Drain", false, nameof(StartUpReadings.DrainPouredM3), nameof(StartUpReadings.DrainOutM3)),
        ];
        if (f.Circuit.Heads > 1)
            groups.Add(Group("Zones", true, nameof(StartUpReadings.ZonesAlone), nameof(StartUpReadings.ZonesW)));
        if (f.Heats)
            groups.Add(Group("Heating", true, nameof(StartUpReadings.HeatEnteringC), nameof(StartUpReadings.HeatLeavingC),
                nameof(StartUpReadings.HeatOutdoorC)));
        if (f.Sources.Battery.Fitted)
            groups.Add(Group("Hours on the bank", false, nameof(StartUpReadings.MeanW), nameof(StartUpReadings.ChargePct)));
        if (f.Sources.Modules.Count > 0)
            groups.Add(Group("Array", false, nameof(StartUpReadings.ArrayV), nameof(StartUpReadings.ArrayA), nameof(StartUpReadings.SunWm2),
                nameof(StartUpReadings.CellC)));
        if (f.Circuit.Refrigerant is not null)
            groups.Add(Group("Lines at the gauges, by who may", false, nameof(StartUpReadings.GasLinePa), nameof(StartUpReadings.GasLineC),
                nameof(StartUpReadings.LiquidLinePa), nameof(StartUpReadings.LiquidLineC), nameof(StartUpReadings.FixedSpeed)));
        groups.Add(Group("Sound", false, nameof(StartUpReadings.SoundDb), nameof(StartUpReadings.SoundM)));
        if (opened)
            groups.Add(Group("Vacuum by two readings", false, nameof(StartUpReadings.VacuumStartPa), nameof(StartUpReadings.VacuumEndPa)));
        return groups;
    }
}
