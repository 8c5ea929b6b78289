using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Commission;

/// <summary>Where the temperature of a hold is read, and how well it shows the gas; common practice.</summary>
public enum ProbePlace { [Called("on the pipe, under its insulation")] Pipe, [Called("air in the shade")] Shade, [Called("in the sun")] Sun }

/// <summary>Nitrogen: what the set can stand and show.</summary>
public sealed record NitrogenKit : DesignPart
{
    [Field(GaugePressure, 1e5, 2e7, Label = "Gauge's full scale")] public double FullScalePa { get; init; } = 5.6e6;
    [Field(GaugePressure, 10, 100000, Label = "Its smallest mark")] public double MarkPa { get; init; } = 10000;
    [Field(GaugePressure, 1e5, 2e7, Label = "Hose stands", Optional = true)] public double? HosePa { get; init; } = 5.5e6;
    [Field(GaugePressure, 1e5, 2e7, Label = "Fittings stand", Optional = true)] public double? FittingsPa { get; init; } = 4.5e6;
    [Field(GaugePressure, 1e5, 6e6, Label = "Tested with", Help = "empty takes {2.76e6:GaugePressure}, or less where something stands less", Optional = true)]
    public double? TargetPa { get; init; }
    [Ask("Temperature is read")] public ProbePlace Probe { get; init; } = ProbePlace.Pipe;
    [Field(Temperature, -20, 80, Label = "Pipe may warm to", Help = "in the sun, while nobody looks")] public double HottestC { get; init; } = 50;

    /// <summary>How well the temperature is known, K.</summary>
    internal double ProbeK => Probe switch { ProbePlace.Pipe => 0.5, ProbePlace.Shade => 2, _ => 4 };
}

/// <summary>Vacuum: pump, hose, gauge and limits.</summary>
public sealed record VacuumKit : DesignPart
{
    [Field(AirFlow, 5e-6, 0.01, Label = "Pump moves")] public double PumpM3s { get; init; } = 2.36e-3;
    [Field(QuantityKind.Vacuum, 0.1, 10000, Label = "Pump reaches by itself")] public double UltimatePa { get; init; } = 2;
    [Field(ElectricPower, 20, 3000, Label = "Pump draws")] public double PumpW { get; init; } = 250;
    [Field(SmallLength, 0.001, 0.02, Label = "Hose, inside")] public double HoseBoreM { get; init; } = 4.8e-3;
    [Field(Length, 0.01, 10, Label = "Hose, long")] public double HoseM { get; init; } = 1.5;
    [Ask("Valve core stays in")] public bool CoreIn { get; init; }
    [Ask("Gauge reads in")] public VacuumUnit Unit { get; init; } = VacuumUnit.Micron;
    [Field(QuantityKind.Vacuum, 10, 1000, Label = "Shut off at most at")] public double StartPa { get; init; } = 500 * QuantityTable.PascalsPerMicron;
    [Field(QuantityKind.Vacuum, 10, 3000, Label = "At most, after ten minutes")] public double PassPa { get; init; } = 1000 * QuantityTable.PascalsPerMicron;
    [Field(Temperature, -20, 60, Label = "Coldest pipe")] public double ColdestC { get; init; } = 20;
}

/// <summary>Who is there to look for a fault, and when it showed.</summary>
public sealed record FaultDesign : DesignPart
{
    [Ask("It has run well before")] public bool InService { get; init; }
    [Ask("An electrician is there")] public bool Electrician { get; init; } = true;
    [Ask("A refrigerant handler is there")] public bool Handler { get; init; } = true;
    [Ask("Its code", Longest = 20)] public string Code { get; init; } = "";
}

/// <summary>What the proof is made with.</summary>
public sealed record CommissionDesign : DesignPart
{
    [Field(QuantityKind.SmallVolume, 1e-4, 0.05, Label = "Inside volume", Help = "empty takes the pipes by Layout and the coils by the unit", Optional = true)]
    public double? VolumeM3 { get; init; }
    [Field(AbsolutePressure, 50000, 110000, Label = "Barometer", Help = "empty takes the altitude of the place", Optional = true)]
    public double? BarometerPa { get; init; }
    public NitrogenKit Nitrogen { get; init; } = new();
    public VacuumKit Vacuum { get; init; } = new();
    public FaultDesign Fault { get; init; } = new();
}
