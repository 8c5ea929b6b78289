using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Physics;

/// <summary>Inputs of <see cref="PhysicsCalculators.Psychrometrics"/>.</summary>
public sealed record PsychrometricsInput : DesignPart
{
    [Field(Temperature, -50, 60, Label = "Dry bulb")] public double DryBulbC { get; init; } = 35;
    [Field(Percent, 0.1, 100, Label = "Relative humidity")] public double RelativeHumidityPct { get; init; } = 40;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
}

/// <summary>Inputs of <see cref="PhysicsCalculators.SunPosition"/>.</summary>
public sealed record SunPositionInput : DesignPart
{
    [Field(Count, 1900, 2100, Label = "Year")] public int Year { get; init; } = 2025;
    [Field(Count, 1, 12, Label = "Month")] public int Month { get; init; } = 7;
    [Field(Count, 1, 28, Label = "Day")] public int DayOfMonth { get; init; } = 21;
    [Field(HourOfDay, 0, 24, Label = "Local standard time")] public double Hour { get; init; } = 15;
    [Field(QuantityKind.Number, -12, 14, Label = "Standard time against UTC, hours")] public double UtcOffsetH { get; init; } = -7;
    [Field(Latitude, -90, 90, Label = "Latitude")] public double LatitudeDeg { get; init; } = 34.2;
    [Field(Longitude, -180, 180, Label = "Longitude")] public double LongitudeDeg { get; init; } = -114;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.ClearSky"/>.</summary>
public sealed record ClearSkyInput : DesignPart
{
    [Field(Degrees, 0, 90, Label = "Sun's zenith angle")] public double ZenithDeg { get; init; } = 30;
    [Field(Count, 1, 365, Label = "Day of the year")] public int DayOfYear { get; init; } = 172;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(QuantityKind.Number, 1.5, 10, Label = "Haze (Linke turbidity)")] public double LinkeTurbidity { get; init; } = 3;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.Transposition"/>.</summary>
public sealed record TranspositionInput : DesignPart
{
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Global horizontal")] public double GlobalWm2 { get; init; } = 880;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Direct normal")] public double DirectWm2 { get; init; } = 880;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Diffuse horizontal")] public double DiffuseWm2 { get; init; } = 110;
    [Field(Degrees, 0, 90, Label = "Sun's zenith angle")] public double ZenithDeg { get; init; } = 30;
    [Field(Degrees, 0, 360, Label = "Sun's azimuth")] public double SunAzimuthDeg { get; init; } = 200;
    [Field(Degrees, 0, 180, Label = "Tilt of the face", Help = "0 faces up, 90 upright, 180 down")] public double TiltDeg { get; init; } = 90;
    [Field(Degrees, 0, 360, Label = "Azimuth of the face")] public double FaceAzimuthDeg { get; init; } = 180;
    [Field(Count, 1, 365, Label = "Day of the year")] public int DayOfYear { get; init; } = 172;
    [Field(Fraction, 0, 0.95, Label = "Sun thrown back by the ground")] public double Albedo { get; init; } = 0.2;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.DesignDayHour"/>.</summary>
public sealed record DesignDayInput : DesignPart
{
    [Field(Temperature, -50, 60, Label = "Hottest hour")] public double DryBulbC { get; init; } = 43;
    [Field(TemperatureDifference, 0, 30, Label = "Daily range")] public double DailyRangeK { get; init; } = 14;
    [Field(Percent, 3, 100, Label = "Humidity at the hottest hour")] public double HumidityPct { get; init; } = 14;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; } = 250;
    [Field(HourOfDay, 0, 24, Label = "Hour")] public double Hour { get; init; } = 9;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.SkyTemperature"/>.</summary>
public sealed record SkyTemperatureInput : DesignPart
{
    [Field(Temperature, -50, 60, Label = "Air")] public double AirC { get; init; } = 35;
    [Field(Temperature, -50, 40, Label = "Dew point")] public double DewPointC { get; init; } = 20;
    [Field(Fraction, 0, 1, Label = "Cloud")] public double Cloud { get; init; }
}

/// <summary>Inputs of <see cref="PhysicsCalculators.SurfaceFilm"/>.</summary>
public sealed record SurfaceFilmInput : DesignPart
{
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
    [Field(QuantityKind.Number, 0.02, 1, Label = "Emittance")] public double Emittance { get; init; } = 0.9;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.LayerU"/>.</summary>
public sealed record LayerUInput : DesignPart
{
    [Field(SmallLength, 0.0001, 0.5, Label = "Outside sheet, thickness")] public double SheetM { get; init; } = 0.0009;
    [Field(Conductivity, 0.01, 400, Label = "its conductivity")] public double SheetWmK { get; init; } = 50;
    [Field(SmallLength, 0, 0.5, Label = "Insulation, thickness")] public double InsulationM { get; init; } = 0.025;
    [Field(Conductivity, 0.01, 400, Label = "its conductivity")] public double InsulationWmK { get; init; } = 0.040;
    [Field(ThermalResistance, 0, 2, Label = "Air gap")] public double GapM2KW { get; init; } = 0.13;
    [Field(SmallLength, 0, 0.5, Label = "Lining, thickness")] public double LiningM { get; init; } = 0.006;
    [Field(Conductivity, 0.01, 400, Label = "its conductivity")] public double LiningWmK { get; init; } = 0.13;
    [Field(ThermalResistance, 0.04, 0.3, Label = "Inside film")] public double InsideFilm { get; init; } = 0.13;
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.SolAir"/>.</summary>
public sealed record SolAirInput : DesignPart
{
    [Field(Temperature, -50, 60, Label = "Air")] public double AirC { get; init; } = 43;
    [Field(QuantityKind.Irradiance, 0, 1500, Label = "Sun on the face")] public double IrradianceWm2 { get; init; } = 1000;
    [Field(Fraction, 0, 1, Label = "Absorptance of the paint")] public double Absorptance { get; init; } = 0.30;
    [Field(QuantityKind.Number, 0.02, 1, Label = "Emittance")] public double Emittance { get; init; } = 0.9;
    [Field(Temperature, -50, 40, Label = "Dew point")] public double DewPointC { get; init; } = 8;
    [Field(Degrees, 0, 180, Label = "Tilt of the face")] public double TiltDeg { get; init; }
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.InverterLosses"/>.</summary>
public sealed record InverterLossesInput : DesignPart
{
    [Field(ElectricPower, 100, 30000, Label = "Inverter's rating")] public double RatedW { get; init; } = 3000;
    [Field(ElectricPower, 0, 300, Label = "Draws when idle")] public double IdleW { get; init; } = 35;
    [Field(ElectricPower, 0, 30000, Label = "AC load")] public double AcW { get; init; } = 1000;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.GeneratorDerate"/>.</summary>
public sealed record GeneratorDerateInput : DesignPart
{
    [Field(ElectricPower, 300, 50000, Label = "Label")] public double RatedW { get; init; } = 2000;
    [Field(Length, -100, 4500, Label = "Altitude")] public double AltitudeM { get; init; } = 1500;
    [Field(Temperature, -20, 55, Label = "Air")] public double AirC { get; init; } = 35;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.FuelRate"/>.</summary>
public sealed record FuelRateInput : DesignPart
{
    [Ask("Fuel")] public FuelKind Fuel { get; init; } = FuelKind.PetrolInverter;
    [Field(ElectricPower, 300, 50000, Label = "Rated")] public double RatedW { get; init; } = 1800;
    [Field(ElectricPower, 0, 50000, Label = "Load")] public double LoadW { get; init; } = 900;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.LineImpedance"/>.</summary>
public sealed record LineImpedanceInput : DesignPart
{
    [Field(Length, 0, 200, Label = "Length, one way")] public double LengthM { get; init; } = 10;
    [Field(ConductorArea, 0.2, 400, Label = "Conductor", Help = "12awg or 2.5 mm²")] public double AreaMm2 { get; init; } = 3.31;
    [Field(Temperature, -20, 105, Label = "Conductor temperature")] public double TemperatureC { get; init; } = 30;
    [Field(Current, 0, 2000, Label = "Current")] public double CurrentA { get; init; } = 12;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.DcSagOf"/>.</summary>
public sealed record DcSagInput : DesignPart
{
    [Field(Voltage, 5, 1000, Label = "Open-circuit voltage")] public double OpenV { get; init; } = 13.14;
    [Field(Resistance, 0, 1, Label = "Bank and cable")] public double Ohm { get; init; } = 0.0025;
    [Field(ElectricPower, 0, 100000, Label = "Power drawn")] public double PowerW { get; init; } = 3270;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.PeukertHours"/>.</summary>
public sealed record PeukertInput : DesignPart
{
    [Field(Charge, 5, 20000, Label = "Bank")] public double AmpHours { get; init; } = 100;
    [Field(QuantityKind.Hours, 1, 100, Label = "rated over")] public double ReferenceHours { get; init; } = 20;
    [Field(QuantityKind.Number, 1, 1.5, Label = "Peukert exponent", Help = "AGM 1.12, flooded 1.25, lithium 1")] public double Exponent { get; init; } = 1.12;
    [Field(Current, 0.1, 2000, Label = "Drawn")] public double CurrentA { get; init; } = 25;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.ShortCircuit"/>.</summary>
public sealed record ShortCircuitInput : DesignPart
{
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Field(Voltage, 12, 96, Label = "Nominal voltage")] public double NominalV { get; init; } = 12;
    [Field(Charge, 5, 20000, Label = "Bank")] public double AmpHours { get; init; } = 400;
    [Field(Resistance, 0, 1, Label = "Cable of the short, both ways")] public double CableOhm { get; init; } = 0.0004;
    [Field(Current, 100, 100000, Label = "The fuse interrupts up to", Optional = true)] public double? FuseInterruptsA { get; init; }
}

/// <summary>Inputs of <see cref="PhysicsCalculators.Bank"/>.</summary>
public sealed record BatteryBankInput : DesignPart
{
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Field(Voltage, 12, 96, Label = "Nominal voltage")] public double NominalV { get; init; } = 48;
    [Field(Charge, 5, 10000, Label = "Whole bank")] public double AmpHours { get; init; } = 100;
    [Field(Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(Fraction, 0.5, 1, Label = "Capacity left by age")] public double CapacityLeft { get; init; } = 1;
    [Field(Fraction, 0, 1, Label = "State of charge")] public double Soc { get; init; } = 0.5;
    [Field(ElectricPower, 0, 100000, Label = "Power drawn")] public double PowerW { get; init; } = 1500;
}

/// <summary>Inputs of <see cref="PhysicsCalculators.PvPower"/>.</summary>
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

/// <summary>Calculations of air, sun, skin, batteries and engines, for the Bench and the API.</summary>
public static class PhysicsCalculators
{
    /// <summary>State of moist air.</summary>
    [Calculator("psychrometrics", "Moist air", "Reading a psychrometric chart", SourceIds = [nameof(Sources.Psychrometrics), nameof(Sources.Atmosphere)])]
    public static CalculationResult Psychrometrics(PsychrometricsInput i)
    {
        var p = MoistAir.Pressure(i.ElevationM);
        var saturation = MoistAir.SaturationPressure(i.DryBulbC);
        var w = MoistAir.RatioFromRh(i.DryBulbC, i.RelativeHumidityPct, p);
        return new ResultBuilder()
            .Step("p", "Air pressure", "101325·(1 − 2.25577e−5·Z)^5.2559", $"Z {i.ElevationM} m", p, AbsolutePressure, Sources.Atmosphere)
            .Step("p_ws", "Saturation pressure", "Hyland and Wexler", $"t {i.DryBulbC} °C", saturation, AbsolutePressure, Sources.Psychrometrics)
            .Step("W", "Humidity ratio", "0.621945·p_w/(p − p_w)", $"p_w {i.RelativeHumidityPct / 100} × {saturation:0.##}", w, HumidityRatio, Sources.Psychrometrics)
            .Step("t_d", "Dew point", "p_ws(t_d) = p_w, bisected", $"W {w:0.000000}", MoistAir.DewPoint(w, p), Temperature, Sources.Psychrometrics)
            .Step("t_wb", "Wet bulb", "W(t, t_wb) = W, bisected", $"W {w:0.000000}", MoistAir.WetBulb(i.DryBulbC, w, p), Temperature, Sources.Psychrometrics)
            .Step("h", "Enthalpy", "1.006·t + W·(2501 + 1.86·t)", $"t {i.DryBulbC}, W {w:0.000000}", MoistAir.Enthalpy(i.DryBulbC, w) / 1000, Enthalpy, Sources.Psychrometrics)
            .Step("v", "Specific volume", "287.042·T·(1 + 1.607858·W)/p", $"p {p:0.#} Pa", MoistAir.SpecificVolume(i.DryBulbC, w, p), SpecificVolume, Sources.Psychrometrics)
            .Done();
    }

    /// <summary>Where the sun stands.</summary>
    [Calculator("sun-position", "Sun position", "Where the sun is, for any place and minute", SourceIds = [nameof(Sources.SunPosition)])]
    public static CalculationResult SunPosition(SunPositionInput i)
    {
        var sun = Sun.Position(i.Year, i.Month, i.DayOfMonth, i.Hour, i.UtcOffsetH, i.LatitudeDeg, i.LongitudeDeg);
        return new ResultBuilder()
            .Step("δ", "Declination", "asin(sin ε · sin λ)", $"{i.Year}-{i.Month}-{i.DayOfMonth}", sun.DeclinationDeg, Degrees, Sources.SunPosition)
            .Step("el", "Elevation", "asin(sin φ sin δ + cos φ cos δ cos H), parallax and refraction", $"φ {i.LatitudeDeg}", sun.ElevationDeg, Degrees, Sources.SunPosition)
            .Step("az", "Azimuth from north", "atan2(sin H, cos H sin φ − tan δ cos φ) + 180", $"hour {i.Hour}", sun.AzimuthDeg, Degrees, Sources.SunPosition)
            .Done();
    }

    /// <summary>Clear-sky irradiance.</summary>
    [Calculator("clear-sky", "Clear sky", "How strong the sun is on a clear day", SourceIds = [nameof(Sources.ClearSky), nameof(Sources.AirMass), nameof(Sources.Extraterrestrial)])]
    public static CalculationResult ClearSky(ClearSkyInput i)
    {
        var sky = Irradiance.ClearSky(i.ZenithDeg, i.DayOfYear, i.ElevationM, i.LinkeTurbidity);
        return new ResultBuilder()
            .Step("G0n", "Above the air", "1367·(1.00011 + 0.034221 cos β + …)", $"day {i.DayOfYear}", Sun.Extraterrestrial(i.DayOfYear), QuantityKind.Irradiance, Sources.Extraterrestrial)
            .Step("GHI", "Global horizontal", "c₁·G0n·cos z·exp(−c₂·m'·(f₁ + f₂(TL − 1)))", $"z {i.ZenithDeg}°, TL {i.LinkeTurbidity}", sky.Global, QuantityKind.Irradiance, Sources.ClearSky)
            .Step("DNI", "Direct normal", "min of beam and balance", $"Z {i.ElevationM} m", sky.Direct, QuantityKind.Irradiance, Sources.ClearSky)
            .Step("DHI", "Diffuse horizontal", "GHI − DNI·cos z", $"{sky.Global:0.#} − {sky.Direct:0.#}·cos z", sky.Diffuse, QuantityKind.Irradiance, Sources.ClearSky)
            .Done();
    }

    /// <summary>Sun on a tilted face.</summary>
    [Calculator("transposition", "Sun on a face", "How much sun that side gets", SourceIds = [nameof(Sources.Transposition)])]
    public static CalculationResult Transposition(TranspositionInput i)
    {
        var face = Irradiance.OnFace(new SkyIrradiance(i.GlobalWm2, i.DirectWm2, i.DiffuseWm2), i.ZenithDeg, i.SunAzimuthDeg, i.TiltDeg, i.FaceAzimuthDeg, Sun.Extraterrestrial(i.DayOfYear), i.Albedo);
        return new ResultBuilder()
            .Step("beam", "Beam", "DNI·cos θ", $"{i.DirectWm2} × {face.CosIncidence:0.####}", face.Beam, QuantityKind.Irradiance, Sources.Transposition)
            .Step("circ", "Round the sun", "DHI·A·cos θ/cos z", $"DHI {i.DiffuseWm2}", face.Circumsolar, QuantityKind.Irradiance, Sources.Transposition)
            .Step("sky", "From the sky", "DHI·(1 − A)·(1 + cos β)/2", $"β {i.TiltDeg}°", face.Sky, QuantityKind.Irradiance, Sources.Transposition)
            .Step("ground", "From the ground", "ρ·GHI·(1 − cos β)/2", $"ρ {i.Albedo}", face.Ground, QuantityKind.Irradiance, Sources.Transposition)
            .Step("sum", "Together", "sum", $"four parts", face.Total, QuantityKind.Irradiance, Sources.Transposition)
            .Done();
    }

    /// <summary>One hour of the design day.</summary>
    [Calculator("design-day", "Design day", "What weather to size for, hour by hour", SourceIds = [nameof(Sources.DesignDay), nameof(Sources.Psychrometrics)])]
    public static CalculationResult DesignDayHour(DesignDayInput i)
    {
        var day = new DesignWeather { DryBulbC = i.DryBulbC, DailyRangeK = i.DailyRangeK, ElevationM = i.ElevationM, HumidityRatioAtPeak = MoistAir.RatioFromRh(i.DryBulbC, i.HumidityPct, MoistAir.Pressure(i.ElevationM)) };
        var air = DesignDay.AirC(day, i.Hour);
        var w = DesignDay.HumidityRatio(day, i.Hour);
        return new ResultBuilder()
            .Step("F", "Fraction of the range", "table by hour, linear between", $"hour {i.Hour}", DesignDay.Fraction(i.Hour), QuantityKind.Number, Sources.DesignDay)
            .Step("t", "Air", "DB − F·DR", $"{i.DryBulbC} − {DesignDay.Fraction(i.Hour):0.###} × {i.DailyRangeK}", air, Temperature, Sources.DesignDay)
            .Step("W", "Humidity ratio", "min(W at the peak, saturation)", $"t {air:0.##} °C", w, HumidityRatio, Sources.Psychrometrics)
            .Step("RH", "Relative humidity", "p_w/p_ws", $"W {w:0.00000}", MoistAir.RelativeHumidity(air, w, day.PressurePa), Percent, Sources.Psychrometrics)
            .Done();
    }

    /// <summary>Effective sky temperature.</summary>
    [Calculator("sky-temperature", "Sky temperature", "How cold the sky is", SourceIds = [nameof(Sources.SkyTemperature)])]
    public static CalculationResult SkyTemperature(SkyTemperatureInput i)
    {
        var sky = SkyLongWave.SkyTemperature(i.AirC, i.DewPointC, i.Cloud);
        return new ResultBuilder()
            .Step("ε", "Emissivity of the sky", "(0.787 + 0.764·ln(T_d/273))·cloud factor", $"T_d {i.DewPointC} °C, cloud {i.Cloud}", SkyLongWave.Emissivity(i.DewPointC, i.Cloud), QuantityKind.Number, Sources.SkyTemperature)
            .Step("T_sky", "Sky", "ε^¼·T_air", $"air {i.AirC} °C", sky, Temperature, Sources.SkyTemperature)
            .Step("ΔR", "Loss of a roof", "σ(T_air⁴ − T_sky⁴)", $"tilt 0", SkyLongWave.Correction(i.AirC, sky, 0), QuantityKind.Irradiance, Sources.SkyTemperature)
            .Done();
    }

    /// <summary>Outside film.</summary>
    [Calculator("surface-film", "Outside film", "How well the wind carries heat to the skin", SourceIds = [nameof(Sources.Films)])]
    public static CalculationResult SurfaceFilm(SurfaceFilmInput i) => new ResultBuilder()
        .Step("h_o", "Outside film", "4 + 4v + ε·4σT³", $"v {i.WindMs} m/s, ε {i.Emittance}", SkyLongWave.OutsideFilm(i.WindMs, i.Emittance, 293.15), ThermalTransmittance, Sources.Films).Done();

    /// <summary>U of a skin in layers.</summary>
    [Calculator("layer-u", "U of a skin", "How good this wall is", SourceIds = [nameof(Sources.Films), nameof(Sources.Materials)])]
    public static CalculationResult LayerU(LayerUInput i)
    {
        var film = SkyLongWave.OutsideFilm(i.WindMs, 0.9, 293.15);
        var resistance = i.SheetM / i.SheetWmK + i.InsulationM / i.InsulationWmK + i.GapM2KW + i.LiningM / i.LiningWmK;
        return new ResultBuilder()
            .Step("R_se", "Outside film", "1/(4 + 4v + ε·4σT³)", $"v {i.WindMs} m/s", 1 / film, ThermalResistance, Sources.Films)
            .Step("ΣR", "Layers", "Σ d/k + gap", $"{i.SheetM}/{i.SheetWmK} + {i.InsulationM}/{i.InsulationWmK} + {i.GapM2KW} + {i.LiningM}/{i.LiningWmK}", resistance, ThermalResistance, Sources.Materials)
            .Step("U", "U", "1/(R_se + ΣR + R_si)", $"1/({1 / film:0.####} + {resistance:0.####} + {i.InsideFilm})", 1 / (1 / film + resistance + i.InsideFilm), ThermalTransmittance, Sources.Films)
            .Done();
    }

    /// <summary>Sol-air temperature.</summary>
    [Calculator("sol-air", "Sol-air temperature", "How hot a painted face seems to the wall", SourceIds = [nameof(Sources.SolAir), nameof(Sources.SkyTemperature)])]
    public static CalculationResult SolAir(SolAirInput i)
    {
        var film = SkyLongWave.OutsideFilm(i.WindMs, i.Emittance, 293.15);
        var longWave = SkyLongWave.Correction(i.AirC, SkyLongWave.SkyTemperature(i.AirC, i.DewPointC, 0), i.TiltDeg);
        return new ResultBuilder()
            .Step("h_o", "Outside film", "4 + 4v + ε·4σT³", $"v {i.WindMs} m/s", film, ThermalTransmittance, Sources.Films)
            .Step("ΔR", "Loss to the sky", "σ·(1 + cos β)/2·cos(β/2)·(T_air⁴ − T_sky⁴)", $"β {i.TiltDeg}°", longWave, QuantityKind.Irradiance, Sources.SkyTemperature)
            .Step("T_sa", "Sol-air temperature", "t_o + (α·I − ε·ΔR)/h_o", $"{i.AirC} + ({i.Absorptance} × {i.IrradianceWm2} − {i.Emittance} × {longWave:0.#})/{film:0.##}", i.AirC + (i.Absorptance * i.IrradianceWm2 - i.Emittance * longWave) / film, Temperature, Sources.SolAir)
            .Done();
    }

    /// <summary>Inverter losses.</summary>
    [Calculator("inverter-losses", "Inverter losses", "What the battery gives for an AC load", SourceIds = [nameof(Sources.InverterLoss)])]
    public static CalculationResult InverterLosses(InverterLossesInput i)
    {
        var model = new InverterModel(i.RatedW, i.IdleW);
        var dc = model.DcPower(i.AcW);
        return new ResultBuilder()
            .Step("P_dc", "Drawn from the battery", "P + P_idle + 0.03·P + 0.05·P²/P_rated", $"{i.AcW} + {i.IdleW} + …", dc, ElectricPower, Sources.InverterLoss)
            .Step("η", "Efficiency", "P/P_dc", $"{i.AcW}/{dc:0.#}", dc <= 0 ? 0 : i.AcW / dc, Fraction, Sources.InverterLoss).Done();
    }

    /// <summary>Generator derate.</summary>
    [Calculator("generator-derate", "Generator derate", "What is left up here in this heat", SourceIds = [nameof(Sources.GeneratorDerate)])]
    public static CalculationResult GeneratorDerate(GeneratorDerateInput i)
    {
        var factor = Generators.DerateFactor(i.AltitudeM, i.AirC);
        return new ResultBuilder()
            .Step("f", "Share left", "(1 − 0.035·h/305)·(1 − 0.01·(T − 25)/5.56)", $"h {i.AltitudeM} m, T {i.AirC} °C", factor, Fraction, Sources.GeneratorDerate)
            .Step("P", "Power left", "P_label·f", $"{i.RatedW} × {factor:0.####}", i.RatedW * factor, ElectricPower, Sources.GeneratorDerate).Done();
    }

    /// <summary>Fuel rate.</summary>
    [Calculator("fuel-rate", "Fuel rate", "Litres an hour", SourceIds = [nameof(Sources.Fuel)])]
    public static CalculationResult FuelRate(FuelRateInput i) => new ResultBuilder()
        .Step("L/h", "Litres an hour", "(a·P_rated + b·P)/1000", $"{Calls.Name(i.Fuel)}, {i.RatedW} W rated, {i.LoadW} W", Generators.FuelLitresPerHour(i.Fuel, i.RatedW, i.LoadW), Fuel, Sources.Fuel).Done();

    /// <summary>Resistance and drop of a cable.</summary>
    [Calculator("line-impedance", "Cable resistance", "What a cable takes away", SourceIds = [nameof(Sources.Copper)])]
    public static CalculationResult LineImpedance(LineImpedanceInput i)
    {
        var ohm = Conductors.LoopOhm(i.LengthM, i.AreaMm2, i.TemperatureC);
        return new ResultBuilder()
            .Step("R", "Loop resistance", "2·L·ρ(T)/A", $"2 × {i.LengthM} × ρ({i.TemperatureC} °C)/{i.AreaMm2:0.###}", ohm, Resistance, Sources.Copper)
            .Step("ΔV", "Volts lost", "R·I", $"{ohm:0.####} × {i.CurrentA}", ohm * i.CurrentA, Voltage, Sources.Arithmetic).Done();
    }

    /// <summary>Sag of a battery under load.</summary>
    [Calculator("dc-sag", "Battery sag", "Volts left under a load", SourceIds = [nameof(Sources.Battery), nameof(Sources.Arithmetic)])]
    public static CalculationResult DcSagOf(DcSagInput i)
    {
        var most = i.Ohm == 0 ? double.MaxValue : i.OpenV * i.OpenV / (4 * i.Ohm);
        if (BatteryBank.DcSag(i.OpenV, i.Ohm, i.PowerW) is not { } sag)
            return new ResultBuilder().Step("P_max", "Most it can deliver", "U²/4R", $"{i.OpenV}²/(4 × {i.Ohm})", most, ElectricPower, Sources.Arithmetic)
                .Judge(Finding.Of("battery.collapse", Severity.Stop, $"The battery cannot deliver {i.PowerW:ElectricPower} at all.")).Done();
        return new ResultBuilder()
            .Step("I", "Current", "(U − √(U² − 4RP))/2R", $"U {i.OpenV} V, R {i.Ohm} Ω", sag.CurrentA, Current, Sources.Arithmetic)
            .Step("V", "Volts left", "U − R·I", $"{i.OpenV} − {i.Ohm} × {sag.CurrentA:0.#}", sag.Voltage, Voltage, Sources.Arithmetic)
            .Judge(i.PowerW > 0.25 * most ? Finding.Of("battery.sag", Severity.Caution, $"That is more than a quarter of the most it can deliver, {most:ElectricPower}.") : null).Done();
    }

    /// <summary>A bank: charge, energy, resistance and sag.</summary>
    [Calculator("battery-bank", "Battery bank", "What a bank holds and how it sags", SourceIds = [nameof(Sources.Battery)])]
    public static CalculationResult Bank(BatteryBankInput i)
    {
        var bank = new BatteryBank(i.Chemistry, (int)Math.Round(i.NominalV / 12 * CellData.Of(i.Chemistry).CellsPer12V), i.AmpHours, i.TemperatureC, i.CapacityLeft);
        var result = new ResultBuilder()
            .Step("Q", "Charge", "Ah·f_T·age", $"{i.AmpHours} Ah, {i.TemperatureC} °C, {i.CapacityLeft:0%}", bank.CapacityAh, Charge, Sources.Battery)
            .Step("E", "Energy above empty", "∫ OCV dQ", $"at {i.Soc:0%}", bank.StoredJ(i.Soc) / 3600, QuantityKind.Energy, Sources.Battery)
            .Step("U", "Open-circuit voltage", "table by charge × cells", $"{bank.Cells} cells", bank.OpenCircuitVoltage(i.Soc), Voltage, Sources.Battery)
            .Step("R", "Resistance", "Ω·Ah·cells/Ah·f_T·f_s + links", $"{bank.Cells} cells", bank.Resistance(i.Soc), Resistance, Sources.Battery);
        if (bank.Sag(i.Soc, i.PowerW, 0) is { } sag)
            result.Step("V", "Volts under that load", "U − R·I", $"{i.PowerW} W", sag.Voltage, Voltage, Sources.Arithmetic).Step("I", "Current", "(U − √(U² − 4RP))/2R", $"{i.PowerW} W", sag.CurrentA, Current, Sources.Arithmetic);
        return result.Judge(bank.TooColdToCharge ? Finding.Of("battery.cold-charge", Severity.Stop, $"At {i.TemperatureC:Temperature} it must not be charged.") : null).Done();
    }

    /// <summary>Hours of a lead bank at a steady current.</summary>
    [Calculator("peukert-hours", "Hours of a lead bank", "Why half the amperes last more than twice as long", SourceIds = [nameof(Sources.Peukert)])]
    public static CalculationResult PeukertHours(PeukertInput i)
    {
        var hours = Peukert.Hours(i.AmpHours, i.ReferenceHours, i.Exponent, i.CurrentA);
        return new ResultBuilder()
            .Step("t", "Hours", "H·(C/(I·H))^k", $"{i.ReferenceHours} × ({i.AmpHours}/({i.CurrentA} × {i.ReferenceHours}))^{i.Exponent}", hours, QuantityKind.Hours, Sources.Peukert)
            .Step("Q", "Charge drawn", "I·t", $"{i.CurrentA} × {hours:0.###}", i.CurrentA * hours, Charge, Sources.Arithmetic).Done();
    }

    /// <summary>Short circuit of a bank.</summary>
    [Calculator("short-circuit-current", "Short circuit of a bank", "What its main fuse must be able to break", SourceIds = [nameof(Sources.Battery)])]
    public static CalculationResult ShortCircuit(ShortCircuitInput i)
    {
        var bank = new BatteryBank(i.Chemistry, (int)Math.Round(i.NominalV / 12 * CellData.Of(i.Chemistry).CellsPer12V), i.AmpHours);
        var amperes = bank.ShortCircuitA(i.CableOhm);
        return new ResultBuilder()
            .Step("U", "Open-circuit voltage, full", "table × cells", $"{bank.Cells} cells", bank.OpenCircuitVoltage(1), Voltage, Sources.Battery)
            .Step("I_sc", "Short-circuit current", "U/(R + R_cable)", $"R without links, cable {i.CableOhm} Ω", amperes, Current, Sources.Battery)
            .Judge(MainFuse.Judge(amperes, i.FuseInterruptsA)).Done();
    }

    /// <summary>Power of an array.</summary>
    [Calculator("pv-power", "Module power", "What the modules give now", SourceIds = [nameof(Sources.Modules), nameof(Sources.CellTemperature)])]
    public static CalculationResult PvPower(PvPowerInput i)
    {
        var k = Modules.CellRise(i.Model, i.Mounting, i.NoctC, i.WindMs);
        var cell = i.AirC + k * i.IrradianceWm2;
        return new ResultBuilder()
            .Step("T_c", "Cells", "T_a + k·G", $"{i.AirC} + {k} × {i.IrradianceWm2}", cell, Temperature, Sources.CellTemperature)
            .Step("P", "Power", "N·P_stc·G/1000·(1 + γ(T_c − 25))·f", $"{i.Modules} × {i.RatedW} × {i.IrradianceWm2 / 1000} × …", Modules.Power(i.Modules, i.RatedW, i.IrradianceWm2, cell, i.Gamma, i.Losses), ElectricPower, Sources.Modules).Done();
    }
}
