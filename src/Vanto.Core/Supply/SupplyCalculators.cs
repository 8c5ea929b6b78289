using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Supply;

/// <summary>Inputs of <see cref="SupplyCalculators.InverterLosses"/>.</summary>
public sealed record InverterLossesInput : DesignPart
{
    [Field(ElectricPower, 100, 30000, Label = "Inverter's rating")] public double RatedW { get; init; } = 3000;
    [Field(ElectricPower, 0, 300, Label = "Draws when idle")] public double IdleW { get; init; } = 35;
    [Field(ElectricPower, 0, 30000, Label = "AC load")] public double AcW { get; init; } = 1000;
    [Field(Fraction, 0, 0.3, Label = "Loss in proportion to the load")] public double LinearLoss { get; init; } = 0.03;
    [Field(Fraction, 0, 0.3, Label = "Loss at the rating, with the square")] public double QuadraticLoss { get; init; } = 0.05;
    [Field(Temperature, -20, 60, Label = "It stands in")] public double AmbientC { get; init; } = 25;
}

/// <summary>Inputs of <see cref="SupplyCalculators.GeneratorDerate"/>.</summary>
public sealed record GeneratorDerateInput : DesignPart
{
    [Field(ElectricPower, 300, 50000, Label = "Label")] public double RatedW { get; init; } = 2000;
    [Field(Length, -100, 4500, Label = "Altitude")] public double AltitudeM { get; init; } = 1500;
    [Field(Temperature, -20, 55, Label = "Air")] public double AirC { get; init; } = 35;
}

/// <summary>Inputs of <see cref="SupplyCalculators.FuelRate"/>.</summary>
public sealed record FuelRateInput : DesignPart
{
    [Ask("Fuel")] public FuelKind Fuel { get; init; } = FuelKind.PetrolInverter;
    [Field(ElectricPower, 300, 50000, Label = "Rated")] public double RatedW { get; init; } = 1800;
    [Field(ElectricPower, 0, 50000, Label = "Load")] public double LoadW { get; init; } = 900;
}

/// <summary>Inputs of <see cref="SupplyCalculators.LineImpedance"/>.</summary>
public sealed record LineImpedanceInput : DesignPart
{
    [Field(Length, 0, 200, Label = "Length, one way")] public double LengthM { get; init; } = 10;
    [Field(ConductorArea, 0.2, 400, Label = "Conductor", Help = "12awg or 2.5 mm²")] public double AreaMm2 { get; init; } = 3.31;
    [Field(Temperature, -20, 105, Label = "Conductor temperature")] public double TemperatureC { get; init; } = 30;
    [Field(Current, 0, 2000, Label = "Current")] public double CurrentA { get; init; } = 12;
    [Ask("Aluminium", Help = "else copper")] public bool Aluminium { get; init; }
}

/// <summary>Inputs of <see cref="SupplyCalculators.DcSagOf"/>.</summary>
public sealed record DcSagInput : DesignPart
{
    [Field(Voltage, 5, 1000, Label = "Open-circuit voltage")] public double OpenV { get; init; } = 13.14;
    [Field(Resistance, 0, 1, Label = "Bank and cable")] public double Ohm { get; init; } = 0.0025;
    [Field(ElectricPower, 0, 100000, Label = "Power drawn")] public double PowerW { get; init; } = 3270;
}

/// <summary>Inputs of <see cref="SupplyCalculators.PeukertHours"/>.</summary>
public sealed record PeukertInput : DesignPart
{
    [Field(Charge, 5, 20000, Label = "Bank")] public double AmpHours { get; init; } = 100;
    [Field(QuantityKind.Hours, 1, 100, Label = "rated over")] public double ReferenceHours { get; init; } = 20;
    [Field(QuantityKind.Number, 1, 1.5, Label = "Peukert exponent", Help = "AGM 1.12, flooded 1.25, lithium 1")] public double Exponent { get; init; } = 1.12;
    [Field(Current, 0.1, 2000, Label = "Drawn")] public double CurrentA { get; init; } = 25;
}

/// <summary>Inputs of <see cref="SupplyCalculators.ShortCircuit"/>.</summary>
public sealed record ShortCircuitInput : DesignPart
{
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Field(Voltage, 12, 96, Label = "Nominal voltage")] public double NominalV { get; init; } = 12;
    [Field(Charge, 5, 20000, Label = "Bank")] public double AmpHours { get; init; } = 400;
    [Field(Resistance, 0, 1, Label = "Cable of the short, both ways")] public double CableOhm { get; init; } = 0.0004;
    [Field(Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(Current, 100, 100000, Label = "The fuse interrupts up to", Optional = true)] public double? FuseInterruptsA { get; init; }
}

/// <summary>Inputs of <see cref="SupplyCalculators.Bank"/>.</summary>
public sealed record BatteryBankInput : DesignPart
{
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Field(Voltage, 12, 96, Label = "Nominal voltage")] public double NominalV { get; init; } = 48;
    [Field(Charge, 5, 10000, Label = "Whole bank")] public double AmpHours { get; init; } = 100;
    [Field(Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(Fraction, 0.5, 1, Label = "Capacity left by age")] public double CapacityLeft { get; init; } = 1;
    [Field(Fraction, 0, 1, Label = "State of charge")] public double Soc { get; init; } = 0.5;
    [Field(ElectricPower, 0, 100000, Label = "Power drawn")] public double PowerW { get; init; } = 1500;
    [Field(Resistance, 0, 1, Label = "Links and boards", Help = "empty takes what is typical of the chemistry", Optional = true)]
    public double? ExtraOhm { get; init; }
    [Field(Resistance, 0, 1, Label = "Cable, both ways")] public double CableOhm { get; init; }
}

/// <summary>Inputs of <see cref="SupplyCalculators.PvPower"/>.</summary>
public sealed record PvPowerInput : DesignPart
{
    [Field(Count, 1, 500, Label = "Modules")] public int Modules { get; init; } = 6;
    [Field(ElectricPower, 5, 800, Label = "One module")] public double RatedW { get; init; } = 410;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Sun on the module")] public double IrradianceWm2 { get; init; } = 950;
    [Field(Temperature, -40, 60, Label = "Air")] public double AirC { get; init; } = 32;
    [Ask("Mounted")] public ModuleMounting Mounting { get; init; } = ModuleMounting.LittleRearAir;
    [Ask("Cells' heat is taken")] public CellModel Model { get; init; } = CellModel.Mounting;
    [Field(Temperature, 35, 60, Label = "NOCT on the plate")] public double NoctC { get; init; } = 45;
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 1;
    [Field(QuantityKind.Number, -0.006, -0.002, Label = "Power loss for each K")] public double Gamma { get; init; } = -0.0034;
    [Field(Fraction, 0.5, 1, Label = "Other losses leave")] public double Losses { get; init; } = 0.88;
}

/// <summary>Calculations of inverters, generators, cables, banks and modules, for the Bench and the API.</summary>
public static class SupplyCalculators
{
    [Calculator("inverter-losses", "Inverter losses", "What the battery gives for an AC load", CitationIds = [nameof(Citations.InverterLoss)])]
    public static CalculationResult InverterLosses(InverterLossesInput i)
    {
        var model = new InverterModel(i.RatedW, i.IdleW, i.LinearLoss, i.QuadraticLoss);
        var dc = model.DcPower(i.AcW);
        return new ResultBuilder()
            .Step("P_dc", "Drawn from the battery", "P + P_idle + k1·P + k2·P²/P_rated", $"{i.AcW} + {i.IdleW} + …", dc, ElectricPower,
                Citations.InverterLoss)
            .Step("η", "Efficiency", "P/P_dc", $"{i.AcW}/{dc:0.#}", dc <= 0 ? 0 : i.AcW / dc, Fraction, Citations.InverterLoss)
            .Step("P_cont", "It gives for hours on end", "P_rated·(1 − 0.01·(T − 25))", $"{i.RatedW} W at {i.AmbientC} °C",
                model.ContinuousW(i.AmbientC),
                ElectricPower, Citations.InverterLoss).Done();
    }

    [Calculator("generator-derate", "Generator derate", "What is left up here in this heat", CitationIds = [nameof(Citations.GeneratorDerate)])]
    public static CalculationResult GeneratorDerate(GeneratorDerateInput i)
    {
        var factor = Generators.DerateFactor(i.AltitudeM, i.AirC);
        return new ResultBuilder()
            .Step("f", "Share left", "(1 − 0.035·h/305)·(1 − 0.01·(T − 25)/5.56)", $"h {i.AltitudeM} m, T {i.AirC} °C", factor, Fraction,
                Citations.GeneratorDerate)
            .Step("P", "Power left", "P_label·f", $"{i.RatedW} × {factor:0.####}", i.RatedW * factor, ElectricPower, Citations.GeneratorDerate).Done();
    }

    [Calculator("fuel-rate", "Fuel rate", "Litres an hour", CitationIds = [nameof(Citations.Fuel)])]
    public static CalculationResult FuelRate(FuelRateInput i) => new ResultBuilder()
        .Step("L/h", "Litres an hour", "(a·P_rated + b·P)/1000", $"{Calls.Name(i.Fuel)}, {i.RatedW} W rated, {i.LoadW} W",
            Generators.FuelLitresPerHour(i.Fuel, i.RatedW, i.LoadW), Fuel, Citations.Fuel).Done();

    /// <summary>Resistance and drop of a cable.</summary>
    [Calculator("line-impedance", "Cable resistance", "What a cable takes away", CitationIds = [nameof(Citations.Copper)])]
    public static CalculationResult LineImpedance(LineImpedanceInput i)
    {
        var ohm = Conductors.LoopOhm(i.LengthM, i.AreaMm2, i.TemperatureC, i.Aluminium);
        return new ResultBuilder()
            .Step("R", "Loop resistance", "2·L·ρ(T)/A", $"2 × {i.LengthM} × ρ({i.TemperatureC} °C)/{i.AreaMm2:0.###}", ohm, Resistance, Citations.Copper)
            .Step("ΔV", "Volts lost", "R·I", $"{ohm:0.####} × {i.CurrentA}", ohm * i.CurrentA, Voltage, Citations.Arithmetic).Done();
    }

    /// <summary>Sag of a battery under load.</summary>
    [Calculator("dc-sag", "Battery sag", "Volts left under a load", CitationIds = [nameof(Citations.Battery), nameof(Citations.Arithmetic)])]
    public static CalculationResult DcSagOf(DcSagInput i)
    {
        var most = i.Ohm == 0 ? double.MaxValue : i.OpenV * i.OpenV / (4 * i.Ohm);
        if (BatteryBank.DcSag(i.OpenV, i.Ohm, i.PowerW) is not { } sag)
            return new ResultBuilder().Step("P_max", "Most it can deliver", "U²/4R", $"{i.OpenV}²/(4 × {i.Ohm})", most, ElectricPower, Citations.Arithmetic)
                .Judge(Finding.Of(FindingCode.BatteryCollapse, Severity.Stop, $"The battery cannot deliver {i.PowerW:ElectricPower} at all.")).Done();
        return new ResultBuilder()
            .Step("I", "Current", "(U − √(U² − 4RP))/2R", $"U {i.OpenV} V, R {i.Ohm} Ω", sag.CurrentA, Current, Citations.Arithmetic)
            .Step("V", "Volts left", "U − R·I", $"{i.OpenV} − {i.Ohm} × {sag.CurrentA:0.#}", sag.Voltage, Voltage, Citations.Arithmetic)
            .Judge(i.PowerW > 0.25 * most
                ? Finding.Of(FindingCode.BatterySag, Severity.Caution, $"That is more than a quarter of the most it can deliver, {most:ElectricPower}.")
                : null).Done();
    }

    /// <summary>A bank: charge, energy, resistance and sag.</summary>
    [Calculator("battery-bank", "Battery bank", "What a bank holds and how it sags", CitationIds = [nameof(Citations.Battery)])]
    public static CalculationResult Bank(BatteryBankInput i)
    {
        var bank = new BatteryBank(i.Chemistry, (int)Math.Round(i.NominalV / 12 * CellData.Of(i.Chemistry).CellsPer12V), i.AmpHours, i.TemperatureC,
            i.CapacityLeft, extraResistance: i.ExtraOhm);
        var result = new ResultBuilder()
            .Step("Q", "Charge", "Ah·f_T·age", $"{i.AmpHours} Ah, {i.TemperatureC} °C, {i.CapacityLeft:0%}", bank.CapacityAh, Charge, Citations.Battery)
            .Step("E", "Energy above empty", "∫ OCV dQ", $"at {i.Soc:0%}", bank.StoredJ(i.Soc) / 3600, QuantityKind.Energy, Citations.Battery)
            .Step("U", "Open-circuit voltage", "table by charge × cells", $"{bank.Cells} cells", bank.OpenCircuitVoltage(i.Soc), Voltage, Citations.Battery)
            .Step("R", "Resistance", "Ω·Ah·cells/Ah·f_T·f_s + links", $"{bank.Cells} cells", bank.Resistance(i.Soc), Resistance, Citations.Battery);
        if (bank.Sag(i.Soc, i.PowerW, i.CableOhm) is { } sag)
            result.Step("V", "Volts under that load", "U − R·I", $"{i.PowerW} W", sag.Voltage, Voltage, Citations.Arithmetic).Step("I", "Current",
                "(U − √(U² − 4RP))/2R", $"{i.PowerW} W", sag.CurrentA, Current, Citations.Arithmetic);
        return result.Judge(bank.JudgeCold()).Done();
    }

    /// <summary>Hours of a lead bank at a steady current.</summary>
    [Calculator("peukert-hours", "Hours of a lead bank", "Why half the amperes last more than twice as long", CitationIds = [nameof(Citations.Peukert)])]
    public static CalculationResult PeukertHours(PeukertInput i)
    {
        var hours = Peukert.Hours(i.AmpHours, i.ReferenceHours, i.Exponent, i.CurrentA);
        return new ResultBuilder()
            .Step("t", "Hours", "H·(C/(I·H))^k", $"{i.ReferenceHours} × ({i.AmpHours}/({i.CurrentA} × {i.ReferenceHours}))^{i.Exponent}", hours,
                QuantityKind.Hours, Citations.Peukert)
            .Step("Q", "Charge drawn", "I·t", $"{i.CurrentA} × {hours:0.###}", i.CurrentA * hours, Charge, Citations.Arithmetic).Done();
    }

    /// <summary>Short circuit of a bank.</summary>
    [Calculator("short-circuit-current", "Short circuit of a bank", "What its main fuse must be able to break", CitationIds = [nameof(Citations.Battery)])]
    public static CalculationResult ShortCircuit(ShortCircuitInput i)
    {
        var bank = new BatteryBank(i.Chemistry, (int)Math.Round(i.NominalV / 12 * CellData.Of(i.Chemistry).CellsPer12V), i.AmpHours, i.TemperatureC);
        var amperes = bank.ShortCircuitA(i.CableOhm);
        return new ResultBuilder()
            .Step("U", "Open-circuit voltage, full", "table × cells", $"{bank.Cells} cells", bank.OpenCircuitVoltage(1), Voltage, Citations.Battery)
            .Step("I_sc", "Short-circuit current", "U/(R + R_cable)", $"R without links, cable {i.CableOhm} Ω", amperes, Current, Citations.Battery)
            .Judge(MainFuse.Judge(amperes, i.FuseInterruptsA)).Done();
    }

    /// <summary>Power of an array.</summary>
    [Calculator("pv-power", "Module power", "What the modules give now", CitationIds = [nameof(Citations.Modules), nameof(Citations.CellTemperature)])]
    public static CalculationResult PvPower(PvPowerInput i)
    {
        var k = Modules.CellRise(i.Model, i.Mounting, i.NoctC, i.WindMs);
        var cell = i.AirC + k * i.IrradianceWm2;
        return new ResultBuilder()
            .Step("T_c", "Cells", "T_a + k·G", $"{i.AirC} + {k} × {i.IrradianceWm2}", cell, Temperature, Citations.CellTemperature)
            .Step("P", "Power", "N·P_stc·G/1000·(1 + γ(T_c − 25))·f", $"{i.Modules} × {i.RatedW} × {i.IrradianceWm2 / 1000} × …",
                Modules.Power(i.Modules, i.RatedW, i.IrradianceWm2, cell, i.Gamma, i.Losses), ElectricPower, Citations.Modules).Done();
    }
}
