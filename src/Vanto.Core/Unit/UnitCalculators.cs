using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Unit;

/// <summary>Inputs of <see cref="UnitCalculators.FullLoad"/> and <see cref="UnitCalculators.OperatingPoint"/>.</summary>
public record UnitAtConditionsInput : DesignPart
{
    [Ask("Unit", Options = "units")] public string Unit { get; init; } = "MS-12-120";
    [Field(Temperature, -10, 60, Label = "Outdoor air")] public double OutdoorC { get; init; } = 40;
    [Field(Temperature, 5, 30, Label = "Indoor wet bulb")] public double WetBulbC { get; init; } = 18;
    [Field(TemperatureDifference, 0, 15, Label = "Air at the condenser warmer by")] public double InletRiseK { get; init; }
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(Fraction, 0.3, 1, Label = "Air flow through its filter")] public double AirFlowShare { get; init; } = 1;
    [Ask("The measured small-split curve", Help = "else the conservative line; modulating units only")] public bool MeasuredCurve { get; init; }

    /// <summary>The unit at full under these conditions.</summary>
    internal FullLoadPoint Full(AcUnit unit) =>
        Performance.FullLoad(unit, OutdoorC, WetBulbC, InletRiseK, MeasuredCurve).Times(Capacity.PlaceFactor(Atmosphere.Pressure(ElevationM), AirFlowShare));
}

/// <summary>Inputs of <see cref="UnitCalculators.OperatingPoint"/>.</summary>
public sealed record OperatingPointInput : UnitAtConditionsInput
{
    [Field(Power, 0, 100000, Label = "Cooling asked")] public double DemandW { get; init; } = 1500;
    [Field(ElectricPower, 0, 100000, Label = "Power cap", Optional = true)] public double? PowerCapW { get; init; }
    [Ask("Fan runs on while the compressor rests")] public bool FanOn { get; init; } = true;
}

/// <summary>Inputs of <see cref="UnitCalculators.SensibleHeatRatio"/>.</summary>
public sealed record SensibleHeatRatioInput : DesignPart
{
    [Field(Fraction, 0.5, 1, Label = "Sensible share at rating")] public double RatedShare { get; init; } = 0.75;
    [Field(Temperature, 10, 45, Label = "Indoor dry bulb")] public double DryBulbC { get; init; } = 25;
    [Field(Temperature, 5, 30, Label = "Indoor wet bulb")] public double WetBulbC { get; init; } = 18.5;
}

/// <summary>Inputs of <see cref="UnitCalculators.WetBulbFromRh"/>.</summary>
public sealed record WetBulbFromRhInput : DesignPart
{
    [Field(Temperature, -20, 50, Label = "Air")] public double AirC { get; init; } = 20;
    [Field(Percent, 5, 99, Label = "Relative humidity")] public double RelativeHumidityPct { get; init; } = 50;
}

/// <summary>Inputs of <see cref="UnitCalculators.CapacityDerate"/>.</summary>
public sealed record CapacityDerateInput : DesignPart
{
    [Field(Power, 500, 30000, Label = "Nominal cooling")] public double NominalW { get; init; } = 3517;
    [Field(Temperature, -10, 55, Label = "Outdoor air")] public double OutdoorC { get; init; } = 43;
    [Field(Temperature, 12, 28, Label = "Indoor wet bulb")] public double WetBulbC { get; init; } = 17.9;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; } = 250;
    [Field(Fraction, 0.3, 1, Label = "Air flow of the clean filter's", Help = "dirty 85 %, clogged 60 %")] public double AirFlowShare { get; init; } = 1;
}

/// <summary>Inputs of <see cref="UnitCalculators.BypassCoil"/>.</summary>
public sealed record BypassCoilInput : DesignPart
{
    [Field(Temperature, 10, 45, Label = "Air into the coil")] public double EntryC { get; init; } = 24;
    [Field(Percent, 5, 99, Label = "its humidity")] public double RelativeHumidityPct { get; init; } = 50;
    [Field(Power, 100, 30000, Label = "Cooling")] public double CoolingW { get; init; } = 2500;
    [Field(AirFlow, 0.01, 3, Label = "Air flow")] public double FlowM3s { get; init; } = 0.12;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
}

/// <summary>Inputs of <see cref="UnitCalculators.AreaRule"/>.</summary>
public sealed record AreaRuleInput : DesignPart
{
    [Field(Area, 1, 500, Label = "Floor")] public double FloorM2 { get; init; } = 31;
}

/// <summary>Inputs of <see cref="UnitCalculators.RequiredCapacity"/>.</summary>
public sealed record RequiredCapacityInput : DesignPart
{
    [Field(Power, 50, 30000, Label = "Sensible load")] public double SensibleW { get; init; } = 2712;
    [Field(Power, 0, 10000, Label = "Moisture of people and cooking")] public double LatentW { get; init; } = 140;
    [Field(QuantityKind.Number, 0, 1, Label = "Outside air let in, kg/s")] public double AirKgS { get; init; } = 0.0064;
    [Field(Temperature, 15, 55, Label = "Outdoor air")] public double OutdoorC { get; init; } = 43;
    [Field(Percent, 3, 100, Label = "its humidity")] public double OutdoorRhPct { get; init; } = 14;
    [Field(Temperature, 16, 35, Label = "Room held at")] public double RoomC { get; init; } = 25;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; } = 250;
}

/// <summary>Calculations of units, for the Bench and the API.</summary>
public static class UnitCalculators
{
    /// <summary>Capacity and power at conditions.</summary>
    [Calculator("full-load", "Unit at conditions", "What is left of the plate in this heat, and what it draws",
        CitationIds = [nameof(Citations.RooftopCurve), nameof(Citations.InverterCurve), nameof(Citations.RatingPoint)])]
    public static CalculationResult FullLoad(UnitAtConditionsInput i)
    {
        var unit = Find(i.Unit);
        var point = i.Full(unit);
        var source = unit.SingleSpeed ? Citations.RooftopCurve : Citations.InverterCurve;
        var air = i.OutdoorC + i.InletRiseK;
        return new ResultBuilder()
            .Step("CapFT", "Capacity factor", "f(w, d)/f(19.44, 35)", $"w {i.WetBulbC}, d {air}", point.CapacityFactor, QuantityKind.Number, source)
            .Step("EirFT", "Input factor", "f(w, d)/f(19.44, 35)", $"w {i.WetBulbC}, d {air}", point.InputRatioFactor, QuantityKind.Number, source)
            .Step("Q", "Cooling", "Q_rated·CapFT", $"{unit.RatedCapacityW} × {point.CapacityFactor:0.####}", point.CapacityW, Power, source)
            .Step("P", "Draws", "P_rated·CapFT·EirFT", $"{unit.RatedPowerW} × …", point.PowerW, ElectricPower, source)
            .Judge(
                point.DryCoilHeld ? Finding.Of(FindingCode.UnitDryCoil, Severity.Note,
                    $"The coil is dry below this wet bulb; capacity falls no further.") : null)
            .Judge(
                point.LowAmbientHeld ? Finding.Of(FindingCode.UnitLowAmbient, Severity.Note,
                    $"Below {18.0:Temperature} outdoors the curve is held there.") : null)
            .Judge(point.HumidHeld ? Finding.Of(FindingCode.UnitHumid, Severity.Note,
                $"Above a wet bulb of {28.0:Temperature} the curve is held there: it was never measured damper.") : null)
            .Judge(Performance.OutdoorLimit(unit, air))
            .Done();
    }

    /// <summary>Part load.</summary>
    [Calculator("operating-point", "Unit at part load", "What it draws when the load is smaller, and whether it cycles",
        CitationIds = [nameof(Citations.RatingPoint), nameof(Citations.InverterCurve)])]
    public static CalculationResult OperatingPoint(OperatingPointInput i)
    {
        var unit = Find(i.Unit);
        var full = i.Full(unit);
        var result = Performance.Operate(unit, full, i.DemandW, i.PowerCapW ?? double.PositiveInfinity, i.FanOn);
        return new ResultBuilder().Words("mode", "Runs", Calls.Name(result.Mode))
            .Step("x", "Share", "demand/full", $"{i.DemandW}/{full.CapacityW:0.#}", result.Share, Fraction, Citations.RatingPoint)
            .Step("RTF", "Time it runs", "PLR/(1 − Cd(1 − PLR))", $"Cd {unit.CyclingDegradation}", result.RunTimeFraction, Fraction, Citations.RatingPoint)
            .Step("Q", "Cooling", "delivered", $"{result.Share:0.####} of full", result.CapacityW, Power, Citations.RatingPoint)
            .Step("P", "Draws", "P·x·g(x), or over the cycle", $"share {result.Share:0.####}", result.PowerW, ElectricPower,
                unit.SingleSpeed ? Citations.RatingPoint : Citations.InverterCurve).Done();
    }

    /// <summary>Sensible share.</summary>
    [Calculator("sensible-heat-ratio", "Sensible share", "How much of the cooling lowers the temperature", CitationIds = [nameof(Citations.Coil)])]
    public static CalculationResult SensibleHeatRatio(SensibleHeatRatioInput i) => i.WetBulbC > i.DryBulbC
        ? throw new InputException("wetBulbC", Phrase.Of($"{i.WetBulbC:Temperature}"),
            Phrase.Of($"wetBulbC: a wet bulb of {i.WetBulbC:Temperature} cannot be above the dry bulb of {i.DryBulbC:Temperature}"))
        : new ResultBuilder()
        .Step("SHR", "Sensible share", "SHR_rated + 0.055(T − 26.7) − 0.070(T_wb − 19.44), 0.40 to 1",
            $"{i.RatedShare} + 0.055 × {i.DryBulbC - 26.7:0.##} − 0.070 × {i.WetBulbC - 19.44:0.##}",
            Performance.SensibleShare(i.RatedShare, i.DryBulbC, i.WetBulbC), Fraction, Citations.Coil).Done();

    /// <summary>Wet bulb by the explicit formula.</summary>
    [Calculator("wet-bulb-from-rh", "Wet bulb, by hand formula", "Wet bulb without a chart", CitationIds = [nameof(Citations.WetBulb)])]
    public static CalculationResult WetBulbFromRh(WetBulbFromRhInput i) => new ResultBuilder()
        .Step("T_w", "Wet bulb", "T·atan(0.151977·√(RH + 8.313659)) + …", $"T {i.AirC}, RH {i.RelativeHumidityPct}",
            MoistAir.WetBulbFromRh(i.AirC, i.RelativeHumidityPct), Temperature, Citations.WetBulb).Done();

    /// <summary>Short derate.</summary>
    [Calculator("capacity-derate", "Capacity derate", "What heat, height and a dirty filter leave", CitationIds = [nameof(Citations.Derate)])]
    public static CalculationResult CapacityDerate(CapacityDerateInput i)
    {
        var p = Atmosphere.Pressure(i.ElevationM);
        return new ResultBuilder()
            .Step("f_out", "Outdoor heat", "1 − 0.010(t − 35) above 35 °C, 1 − 0.006(t − 35) below", $"t {i.OutdoorC}",
                Capacity.OutdoorFactor(i.OutdoorC),
                QuantityKind.Number, Citations.Derate)
            .Step("f_in", "Indoor wet bulb", "1 + 0.025(t_wb − 19.4)", $"t_wb {i.WetBulbC}", 1 + 0.025 * (i.WetBulbC - 19.4), QuantityKind.Number,
                Citations.Derate)
            .Step("f_alt", "Thin air", "1 − 0.25(1 − p/101325)", $"p {p:0} Pa", 1 - 0.25 * (1 - p / 101325), QuantityKind.Number, Citations.Derate)
            .Step("f_flow", "Filter", "0.8 + 0.2·a", $"a {i.AirFlowShare}", Capacity.FlowFactor(i.AirFlowShare), QuantityKind.Number, Citations.Derate)
            .Step("Q", "Cooling left", "Q_nom·f_out·f_in·f_alt·f_flow", $"{i.NominalW} × …",
                Capacity.Derated(i.NominalW, i.OutdoorC, i.WetBulbC, p, i.AirFlowShare), Power, Citations.Derate).Done();
    }

    /// <summary>Coil split.</summary>
    [Calculator("bypass-coil", "Coil split", "How a coil shares its cooling between air and water", CitationIds = [nameof(Citations.Coil)])]
    public static CalculationResult BypassCoil(BypassCoilInput i)
    {
        var p = Atmosphere.Pressure(i.ElevationM);
        var split = WetCoil.Split(i.EntryC, MoistAir.RatioFromRh(i.EntryC, i.RelativeHumidityPct, p), i.CoolingW, i.FlowM3s, p);
        return new ResultBuilder()
            .Step("T_adp", "Apparatus dew point", "h_sat(T_adp) = h − Q/(ṁ(1 − 0.15))", $"Q {i.CoolingW} W, {i.FlowM3s} m³/s", split.ApparatusDewPointC,
                Temperature, Citations.Coil)
            .Step("q_l", "Moisture", "ṁ(1 − 0.15)(W − W_adp)·h_fg", $"entering {i.EntryC} °C, {i.RelativeHumidityPct} %", split.LatentW, Power,
                Citations.Coil)
            .Step("q_s", "Sensible", "Q − q_l", $"{i.CoolingW} − {split.LatentW:0.#}", split.SensibleW, Power, Citations.Coil)
            .Judge(split.ApparatusDewPointC < 2
                ? Finding.Of(FindingCode.CoilIce, Severity.Caution, $"At {split.ApparatusDewPointC:Temperature} the coil ices when it runs on.")
                : null).Done();
    }

    /// <summary>Rule of thumb by floor area.</summary>
    [Calculator("area-rule", "Rule by floor area", "What one would buy by floor area alone", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult AreaRule(AreaRuleInput i) => new ResultBuilder()
        .Step("Q", "By the rule", "113 W/m² (12,000 BTU/h for 335 ft²)", $"113 × {i.FloorM2}", Capacity.AreaRuleW(i.FloorM2), Power, Citations.Trade)
        .Judge(Finding.Of(FindingCode.CapRuleOfThumb, Severity.Note,
            $"Made for houses with about 3 times as much skin as floor; a van has about 5 times, and more glass. The load comes to 1 to 3 "
                + $"times the rule, near 3 only with bare glass or dark paint in a desert: run the load instead.")).Done();

    /// <summary>Nominal capacity for a load.</summary>
    [Calculator("required-capacity", "Capacity to buy", "From the load to the nameplate", CitationIds = [nameof(Citations.Derate), nameof(Citations.Coil)])]
    public static CalculationResult RequiredCapacity(RequiredCapacityInput i)
    {
        var p = Atmosphere.Pressure(i.ElevationM);
        var room = new RoomHour(i.SensibleW, i.LatentW, i.AirKgS, MoistAir.RatioFromRh(i.OutdoorC, i.OutdoorRhPct, p), i.OutdoorC, i.RoomC, p);
        var (nominal, settled) = Capacity.Required(room);
        return new ResultBuilder()
            .Step("RH", "Room settles at", "coil moisture = room moisture", $"S {i.SensibleW} W, L {i.LatentW} W", settled.RelativeHumidityPct, Percent,
                Citations.Coil)
            .Step("SHR", "Sensible share there", "coil split", $"RH {settled.RelativeHumidityPct:0.#} %", settled.SensibleShare, Fraction, Citations.Coil)
            .Step("Q_nom", "Nominal capacity", "smallest that carries the sensible load", $"bisected", nominal, Power, Citations.Derate).Done();
    }

    private static AcUnit Find(string id) =>
        UnitCatalogue.Find(id) ?? throw new InputException(InputError.NoChoice("unit", id, UnitCatalogue.All.Select(u => u.Id)));
}
