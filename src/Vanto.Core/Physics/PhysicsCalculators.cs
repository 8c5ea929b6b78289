using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Physics;

/// <summary>What is known of the moisture of air.</summary>
public enum MoistureBy
{
    [Called("relative humidity")]
    RelativeHumidity, [Called("wet bulb")] WetBulb, [Called("dew point")] DewPoint, [Called("humidity ratio")] HumidityRatio
}

/// <summary>Inputs of <see cref="PhysicsCalculators.Psychrometrics"/>.</summary>
public sealed record PsychrometricsInput : DesignPart
{
    [Field(Temperature, -50, 60, Label = "Dry bulb")] public double DryBulbC { get; init; } = 35;
    [Ask("Moisture is given by")] public MoistureBy By { get; init; } = MoistureBy.RelativeHumidity;
    [Field(Percent, 0.1, 100, Label = "Relative humidity")] public double RelativeHumidityPct { get; init; } = 40;
    [Field(Temperature, -50, 60, Label = "Wet bulb")] public double WetBulbC { get; init; } = 23;
    [Field(Temperature, -50, 60, Label = "Dew point")] public double DewPointC { get; init; } = 18;
    [Field(HumidityRatio, 0.00001, 0.15, Label = "Humidity ratio")] public double RatioKgKg { get; init; } = 0.014;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(AbsolutePressure, 50000, 110000, Label = "Barometer", Help = "empty takes the standard atmosphere of the altitude", Optional = true)]
    public double? PressurePa { get; init; }

    /// <summary>Pressure and humidity ratio.</summary>
    /// <exception cref="InputException">Air that cannot be: wetter than saturated, or too dry to exist.</exception>
    internal (double PressurePa, double Ratio) State()
    {
        var p = PressurePa ?? Atmosphere.Pressure(ElevationM);
        if (By == MoistureBy.WetBulb && WetBulbC > DryBulbC)
            throw AboveDryBulb("wetBulbC", "wet bulb", WetBulbC);
        if (By == MoistureBy.DewPoint && DewPointC > DryBulbC)
            throw AboveDryBulb("dewPointC", "dew point", DewPointC);
        var ratio = By switch
        {
            MoistureBy.WetBulb => MoistAir.RatioFromWetBulb(DryBulbC, WetBulbC, p),
            MoistureBy.DewPoint => MoistAir.SaturationRatio(DewPointC, p),
            MoistureBy.HumidityRatio => RatioKgKg,
            _ => MoistAir.RatioFromRh(DryBulbC, RelativeHumidityPct, p),
        };
        if (ratio <= 0)
            throw new InputException("wetBulbC", Phrase.Of($"{WetBulbC:Temperature}"),
                Phrase.Of(
                    $"wetBulbC: air of {DryBulbC:Temperature} is never that dry; its lowest wet bulb here is {MoistAir.WetBulb(DryBulbC, 0, p):Temperature}"));
        return MoistAir.RelativeHumidity(DryBulbC, ratio, p) <= MostHumidPct ? (p, ratio)
            : throw new InputException("ratioKgKg", Phrase.Of($"{ratio:HumidityRatio}"),
                Phrase.Of($"air of {DryBulbC:Temperature} holds at most {MoistAir.SaturationRatio(DryBulbC, p):HumidityRatio}; got {ratio:HumidityRatio}"));
    }

    /// <summary>Saturated, with room for rounding.</summary>
    private const double MostHumidPct = 100.001;

    private InputException AboveDryBulb(string field, string called, double given) =>
        new(field, Phrase.Of($"{given:Temperature}"),
            Phrase.Of($"{field}: a {called} of {given:Temperature} cannot be above the dry bulb of {DryBulbC:Temperature}"));
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

/// <summary>Calculations of air, sun and skin, for the Bench and the API.</summary>
public static class PhysicsCalculators
{
    /// <summary>State of moist air.</summary>
    [Calculator("psychrometrics", "Moist air", "Reading a psychrometric chart", CitationIds = [nameof(Citations.Psychrometrics), nameof(Citations.Atmosphere)])]
    public static CalculationResult Psychrometrics(PsychrometricsInput i)
    {
        var (p, w) = i.State();
        var saturation = MoistAir.SaturationPressure(i.DryBulbC);
        return new ResultBuilder()
            .Step("p", "Air pressure", i.PressurePa is null ? "101325·(1 − 2.25577e−5·Z)^5.2559" : "barometer", $"Z {i.ElevationM} m", p,
                AbsolutePressure,
                Citations.Atmosphere)
            .Step("p_ws", "Saturation pressure", "Hyland and Wexler", $"t {i.DryBulbC} °C", saturation, AbsolutePressure, Citations.Psychrometrics)
            .Step("W", "Humidity ratio", "0.621945·p_w/(p − p_w)", $"p_w {MoistAir.VapourPressure(w, p):0.##} Pa", w, HumidityRatio,
                Citations.Psychrometrics)
            .Step("RH", "Relative humidity", "p_w/p_ws", $"{MoistAir.VapourPressure(w, p):0.##}/{saturation:0.##}", MoistAir.RelativeHumidity(i.DryBulbC, w, p),
                Percent, Citations.Psychrometrics)
            .Number("rho", "Air density", (1 + w) / MoistAir.SpecificVolume(i.DryBulbC, w, p), Density)
            .Step("t_d", "Dew point", "p_ws(t_d) = p_w, bisected", $"W {w:0.000000}", MoistAir.DewPoint(w, p), Temperature, Citations.Psychrometrics)
            .Step("t_wb", "Wet bulb", "W(t, t_wb) = W, bisected", $"W {w:0.000000}", MoistAir.WetBulb(i.DryBulbC, w, p), Temperature, Citations.Psychrometrics)
            .Step("h", "Enthalpy", "1.006·t + W·(2501 + 1.86·t)", $"t {i.DryBulbC}, W {w:0.000000}", MoistAir.Enthalpy(i.DryBulbC, w) / 1000, Enthalpy,
                Citations.Psychrometrics)
            .Step("v", "Specific volume", "287.042·T·(1 + 1.607858·W)/p", $"p {p:0.#} Pa", MoistAir.SpecificVolume(i.DryBulbC, w, p), SpecificVolume,
                Citations.Psychrometrics)
            .Done();
    }

    /// <summary>Where the sun stands.</summary>
    [Calculator("sun-position", "Sun position", "Where the sun is, for any place and minute", CitationIds = [nameof(Citations.SunPosition)])]
    public static CalculationResult SunPosition(SunPositionInput i)
    {
        var sun = Sun.Position(i.Year, i.Month, i.DayOfMonth, i.Hour, i.UtcOffsetH, i.LatitudeDeg, i.LongitudeDeg);
        return new ResultBuilder()
            .Step("δ", "Declination", "asin(sin ε · sin λ)", $"{i.Year}-{i.Month}-{i.DayOfMonth}", sun.DeclinationDeg, Degrees, Citations.SunPosition)
            .Step("el", "Elevation", "asin(sin φ sin δ + cos φ cos δ cos H), parallax and refraction", $"φ {i.LatitudeDeg}", sun.ElevationDeg, Degrees,
                Citations.SunPosition)
            .Step("az", "Azimuth from north", "atan2(sin H, cos H sin φ − tan δ cos φ) + 180", $"hour {i.Hour}", sun.AzimuthDeg, Degrees,
                Citations.SunPosition)
            .Done();
    }

    /// <summary>Clear-sky irradiance.</summary>
    [Calculator("clear-sky", "Clear sky", "How strong the sun is on a clear day",
        CitationIds = [nameof(Citations.ClearSky), nameof(Citations.AirMass), nameof(Citations.Extraterrestrial)])]
    public static CalculationResult ClearSky(ClearSkyInput i)
    {
        var sky = Irradiance.ClearSky(i.ZenithDeg, i.DayOfYear, i.ElevationM, i.LinkeTurbidity);
        return new ResultBuilder()
            .Step("G0n", "Above the air", "1367·(1.00011 + 0.034221 cos β + …)", $"day {i.DayOfYear}", Sun.Extraterrestrial(i.DayOfYear),
                QuantityKind.Irradiance, Citations.Extraterrestrial)
            .Step("GHI", "Global horizontal", "c₁·G0n·cos z·exp(−c₂·m'·(f₁ + f₂(TL − 1)))", $"z {i.ZenithDeg}°, TL {i.LinkeTurbidity}",
                sky.Global,
                QuantityKind.Irradiance, Citations.ClearSky)
            .Step("DNI", "Direct normal", "min of beam and balance", $"Z {i.ElevationM} m", sky.Direct, QuantityKind.Irradiance, Citations.ClearSky)
            .Step("DHI", "Diffuse horizontal", "GHI − DNI·cos z", $"{sky.Global:0.#} − {sky.Direct:0.#}·cos z", sky.Diffuse, QuantityKind.Irradiance,
                Citations.ClearSky)
            .Done();
    }

    /// <summary>Sun on a tilted face.</summary>
    [Calculator("transposition", "Sun on a face", "How much sun that side gets", CitationIds = [nameof(Citations.Transposition)])]
    public static CalculationResult Transposition(TranspositionInput i)
    {
        var face = Irradiance.OnFace(new SkyIrradiance(i.GlobalWm2, i.DirectWm2, i.DiffuseWm2), i.ZenithDeg, i.SunAzimuthDeg, i.TiltDeg, i.FaceAzimuthDeg,
            Sun.Extraterrestrial(i.DayOfYear), i.Albedo);
        return new ResultBuilder()
            .Step("beam", "Beam", "DNI·cos θ", $"{i.DirectWm2} × {face.CosIncidence:0.####}", face.Beam, QuantityKind.Irradiance, Citations.Transposition)
            .Step("circ", "Round the sun", "DHI·A·cos θ/cos z", $"DHI {i.DiffuseWm2}", face.Circumsolar, QuantityKind.Irradiance, Citations.Transposition)
            .Step("sky", "From the sky", "DHI·(1 − A)·(1 + cos β)/2", $"β {i.TiltDeg}°", face.Sky, QuantityKind.Irradiance, Citations.Transposition)
            .Step("ground", "From the ground", "ρ·GHI·(1 − cos β)/2", $"ρ {i.Albedo}", face.Ground, QuantityKind.Irradiance, Citations.Transposition)
            .Step("sum", "Together", "sum", $"four parts", face.Total, QuantityKind.Irradiance, Citations.Transposition)
            .Done();
    }

    /// <summary>One hour of the design day.</summary>
    [Calculator("design-day", "Design day", "What weather to size for, hour by hour",
        CitationIds = [nameof(Citations.DesignDay), nameof(Citations.Psychrometrics)])]
    public static CalculationResult DesignDayHour(DesignDayInput i)
    {
        var day = new DesignWeather
        {
            DryBulbC = i.DryBulbC,
            DailyRangeK = i.DailyRangeK,
            ElevationM = i.ElevationM,
            HumidityRatioAtPeak = MoistAir.RatioFromRh(i.DryBulbC, i.HumidityPct, Atmosphere.Pressure(i.ElevationM))
        };
        var air = DesignDay.AirC(day, i.Hour);
        var w = DesignDay.HumidityRatio(day, i.Hour);
        return new ResultBuilder()
            .Step("F", "Fraction of the range", "table by hour, linear between", $"hour {i.Hour}", DesignDay.Fraction(i.Hour), QuantityKind.Number,
                Citations.DesignDay)
            .Step("t", "Air", "DB − F·DR", $"{i.DryBulbC} − {DesignDay.Fraction(i.Hour):0.###} × {i.DailyRangeK}", air, Temperature, Citations.DesignDay)
            .Step("W", "Humidity ratio", "min(W at the peak, saturation)", $"t {air:0.##} °C", w, HumidityRatio, Citations.Psychrometrics)
            .Step("RH", "Relative humidity", "p_w/p_ws", $"W {w:0.00000}", MoistAir.RelativeHumidity(air, w, day.PressurePa), Percent, Citations.Psychrometrics)
            .Done();
    }

    /// <summary>Effective sky temperature.</summary>
    [Calculator("sky-temperature", "Sky temperature", "How cold the sky is", CitationIds = [nameof(Citations.SkyTemperature)])]
    public static CalculationResult SkyTemperature(SkyTemperatureInput i)
    {
        var sky = SkyLongWave.SkyTemperature(i.AirC, i.DewPointC, i.Cloud);
        return new ResultBuilder()
            .Step("ε", "Emissivity of the sky", "(0.787 + 0.764·ln(T_d/273))·cloud factor", $"T_d {i.DewPointC} °C, cloud {i.Cloud}",
                SkyLongWave.Emissivity(i.DewPointC, i.Cloud), QuantityKind.Number, Citations.SkyTemperature)
            .Step("T_sky", "Sky", "ε^¼·T_air", $"air {i.AirC} °C", sky, Temperature, Citations.SkyTemperature)
            .Step("ΔR", "Loss of a roof", "σ(T_air⁴ − T_sky⁴)", $"tilt 0", SkyLongWave.Correction(i.AirC, sky, 0), QuantityKind.Irradiance,
                Citations.SkyTemperature)
            .Done();
    }

    /// <summary>Outside film.</summary>
    [Calculator("surface-film", "Outside film", "How well the wind carries heat to the skin", CitationIds = [nameof(Citations.Films)])]
    public static CalculationResult SurfaceFilm(SurfaceFilmInput i) => new ResultBuilder()
        .Step("h_o", "Outside film", "4 + 4v + ε·4σT³", $"v {i.WindMs} m/s, ε {i.Emittance}", SkyLongWave.OutsideFilm(i.WindMs, i.Emittance, 293.15),
            ThermalTransmittance, Citations.Films).Done();

    /// <summary>U of a skin in layers.</summary>
    [Calculator("layer-u", "U of a skin", "How good this wall is", CitationIds = [nameof(Citations.Films), nameof(Citations.Materials)])]
    public static CalculationResult LayerU(LayerUInput i)
    {
        var film = SkyLongWave.OutsideFilm(i.WindMs, 0.9, 293.15);
        var resistance = i.SheetM / i.SheetWmK + i.InsulationM / i.InsulationWmK + i.GapM2KW + i.LiningM / i.LiningWmK;
        return new ResultBuilder()
            .Step("R_se", "Outside film", "1/(4 + 4v + ε·4σT³)", $"v {i.WindMs} m/s", 1 / film, ThermalResistance, Citations.Films)
            .Step("ΣR", "Layers", "Σ d/k + gap", $"{i.SheetM}/{i.SheetWmK} + {i.InsulationM}/{i.InsulationWmK} + {i.GapM2KW} + {i.LiningM}/{i.LiningWmK}",
                resistance, ThermalResistance, Citations.Materials)
            .Step("U", "U", "1/(R_se + ΣR + R_si)", $"1/({1 / film:0.####} + {resistance:0.####} + {i.InsideFilm})",
                1 / (1 / film + resistance + i.InsideFilm),
                ThermalTransmittance, Citations.Films)
            .Done();
    }

    [Calculator("sol-air", "Sol-air temperature", "How hot a painted face seems to the wall",
        CitationIds = [nameof(Citations.SolAir), nameof(Citations.SkyTemperature)])]
    public static CalculationResult SolAir(SolAirInput i)
    {
        var film = SkyLongWave.OutsideFilm(i.WindMs, i.Emittance, 293.15);
        var longWave = SkyLongWave.Correction(i.AirC, SkyLongWave.SkyTemperature(i.AirC, i.DewPointC, 0), i.TiltDeg);
        return new ResultBuilder()
            .Step("h_o", "Outside film", "4 + 4v + ε·4σT³", $"v {i.WindMs} m/s", film, ThermalTransmittance, Citations.Films)
            .Step("ΔR", "Loss to the sky", "σ·(1 + cos β)/2·cos(β/2)·(T_air⁴ − T_sky⁴)", $"β {i.TiltDeg}°", longWave, QuantityKind.Irradiance,
                Citations.SkyTemperature)
            .Step("T_sa", "Sol-air temperature", "t_o + (α·I − ε·ΔR)/h_o",
                $"{i.AirC} + ({i.Absorptance} × {i.IrradianceWm2} − {i.Emittance} × {longWave:0.#})/{film:0.##}",
                i.AirC + (i.Absorptance * i.IrradianceWm2 - i.Emittance * longWave) / film, Temperature, Citations.SolAir)
            .Done();
    }
}
