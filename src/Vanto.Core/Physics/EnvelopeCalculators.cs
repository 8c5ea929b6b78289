using System.Globalization;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Physics;

/// <summary>Inputs of <see cref="EnvelopeCalculators.Factors"/>.</summary>
public sealed record UnitFactorsInput : DesignPart
{
    [Field(Power, 0, 100000, Label = "Capacity")] public double CapacityW { get; init; } = 3516.85284;
    [Field(Temperature, -50, 60, Label = "Temperature")] public double TemperatureC { get; init; } = 35;
    [Field(AirFlow, 0, 3, Label = "Air flow")] public double FlowM3s { get; init; } = 0.189;
    [Field(GaugePressure, 0, 7000000, Label = "Gauge pressure")] public double PressurePa { get; init; } = 1000000;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Split"/>.</summary>
public sealed record DiffuseSplitInput : DesignPart
{
    [Field(QuantityKind.Irradiance, 0, 1400, Label = "Global horizontal")] public double GlobalWm2 { get; init; } = 500;
    [Field(Degrees, 0, 90, Label = "Sun's zenith angle")] public double ZenithDeg { get; init; } = 50;
    [Field(Count, 1, 365, Label = "Day of the year")] public int DayOfYear { get; init; } = 172;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Awning"/>.</summary>
public sealed record ShadingInput : DesignPart
{
    [Field(Degrees, 0, 90, Label = "Sun's zenith angle")] public double ZenithDeg { get; init; } = 45;
    [Field(Degrees, 0, 360, Label = "Sun's azimuth")] public double SunAzimuthDeg { get; init; } = 270;
    [Field(Degrees, 0, 360, Label = "Azimuth of the face")] public double FaceAzimuthDeg { get; init; } = 270;
    [Field(Length, 0.1, 8, Label = "Awning stands out")] public double DepthM { get; init; } = 2.4;
    [Field(Length, 0, 2, Label = "Awning above the top of the face")] public double GapM { get; init; } = 0.1;
    [Field(Length, 0.1, 5, Label = "Face is high")] public double HeightM { get; init; } = 1.9;
    [Field(Length, 0.1, 20, Label = "Face is wide")] public double WidthM { get; init; } = 9;
    [Field(Length, 0.1, 20, Label = "Awning is wide")] public double AwningWidthM { get; init; } = 5;
    [Field(Length, -10, 10, Label = "its middle right of the face's, looking out")] public double OffsetM { get; init; }
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Ribs"/>.</summary>
public sealed record BridgingInput : DesignPart
{
    [Field(SmallLength, 0.0002, 0.01, Label = "Outside sheet")] public double SheetM { get; init; } = 0.0009;
    [Ask("Insulation", Options = "insulations")] public string Insulation { get; init; } = "pe-foam";
    [Field(SmallLength, 0.002, 0.3, Label = "its thickness")] public double InsulationM { get; init; } = 0.025;
    [Field(SmallLength, 0.001, 0.05, Label = "Ply lining")] public double LiningM { get; init; } = 0.006;
    [Field(SmallLength, 0.005, 0.2, Label = "Rib width at the lining")] public double FlangeM { get; init; } = 0.040;
    [Field(SmallLength, 0.0005, 0.02, Label = "Web thickness, all together")] public double WebM { get; init; } = 0.0018;
    [Field(SmallLength, 0.0005, 0.1, Label = "From the metal to the inside face")] public double DepthM { get; init; } = 0.006;
    [Field(Conductivity, 0.1, 400, Label = "Metal conducts", Help = "steel 50, stainless 16, aluminium 160")] public double MetalWmK { get; init; } = 50;
    [Field(Length, 0.1, 3, Label = "Rib to rib")] public double SpacingM { get; init; } = 0.4;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Gap"/>.</summary>
public sealed record WindowGapInput : DesignPart
{
    [Field(Area, 0, 0.5, Label = "Open area", Help = "type it as 60 cm²")] public double AreaM2 { get; init; } = 0.006;
    [Field(Temperature, -50, 60, Label = "Inside")] public double InsideC { get; init; } = 25;
    [Field(Temperature, -50, 60, Label = "Outside")] public double OutsideC { get; init; } = 38;
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 2;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Door"/>.</summary>
public sealed record DoorExchangeInput : DesignPart
{
    [Field(Volume, 0.5, 2000, Label = "Space")] public double VolumeM3 { get; init; } = 13.5;
    [Field(Length, 0.2, 5, Label = "Door is wide")] public double WidthM { get; init; } = 0.9;
    [Field(Length, 0.3, 4, Label = "high")] public double HeightM { get; init; } = 1.7;
    [Field(Temperature, -50, 60, Label = "Inside")] public double InsideC { get; init; } = 25;
    [Field(Temperature, -50, 60, Label = "Outside")] public double OutsideC { get; init; } = 43;
    [Field(Seconds, 1, 3600, Label = "Open for")] public double OpenS { get; init; } = 20;
    [Field(QuantityKind.Number, 0, 120, Label = "Openings an hour")] public double OpeningsPerHour { get; init; } = 6;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Breath"/>.</summary>
public sealed record CarbonDioxideInput : DesignPart
{
    [Field(QuantityKind.Number, 0, 60, Label = "People awake")] public double Awake { get; init; } = 2;
    [Field(QuantityKind.Number, 0, 60, Label = "People asleep")] public double Asleep { get; init; }
    [Field(AirFlow, 0.0001, 1, Label = "Fresh air")] public double FreshM3s { get; init; } = 0.01;
    [Field(Power, 0, 20000, Label = "Unvented flame")] public double FlameW { get; init; }
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Weather"/>.</summary>
public sealed record WeatherGeneratorInput : DesignPart
{
    [Field(Latitude, -66, 66, Label = "Latitude")] public double LatitudeDeg { get; init; } = 34.2;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; } = 250;
    [Field(Temperature, -50, 55, Label = "Mean daily maximum of the month")] public double MaxC { get; init; } = 40;
    [Field(Temperature, -60, 50, Label = "Mean daily minimum")] public double MinC { get; init; } = 27;
    [Field(Fraction, 0.25, 0.75, Label = "Clearness")] public double Clearness { get; init; } = 0.7;
    [Field(Percent, 5, 98, Label = "Mean humidity")] public double HumidityPct { get; init; } = 28;
    [Field(Count, 1, 365, Label = "From day of the year")] public int FirstDay { get; init; } = 182;
    [Field(Count, 1, 60, Label = "Days")] public int Days { get; init; } = 14;
    [Field(Count, 1, 1000000, Label = "Seed")] public int Seed { get; init; } = 42;
}

/// <summary>Inputs of <see cref="EnvelopeCalculators.Epw"/>.</summary>
public sealed record EpwReaderInput : DesignPart
{
    [Ask("The file's text", Help = "empty reads a small file made here")] public string Text { get; init; } = "";
}

/// <summary>Skin, glass, air and weather on their own.</summary>
public static class EnvelopeCalculators
{
    [Calculator("unit-factors", "Units", "Capacity, temperature, air flow and pressure in the other units.", CitationIds = [nameof(Citations.Nist)])]
    public static CalculationResult Factors(UnitFactorsInput i) => new ResultBuilder()
        .Step("Q", "Capacity", "W/0.29307107 BTU/h; /3516.85 tons",
            $"{i.CapacityW} W = {i.CapacityW / 0.293071070:0} BTU/h = {i.CapacityW / 3516.85284:0.000} ton", i.CapacityW, Power, Citations.Nist)
        .Step("t", "Temperature", "1.8·t + 32", $"{i.TemperatureC} °C = {1.8 * i.TemperatureC + 32:0.##} °F", i.TemperatureC, Temperature, Citations.Nist)
        .Step("V̇", "Air flow", "m³/s / 4.719474432e−4", $"{i.FlowM3s} m³/s = {i.FlowM3s / 4.719474432e-4:0.#} CFM", i.FlowM3s, AirFlow, Citations.Nist)
        .Step("p", "Gauge pressure", "Pa / 6894.757293", $"{i.PressurePa} Pa = {i.PressurePa / QuantityTable.PascalsPerPsi:0.##} psi", i.PressurePa,
            GaugePressure, Citations.Nist).Done();

    /// <summary>Direct and diffuse.</summary>
    [Calculator("diffuse-split", "Direct and diffuse sun", "Splits a measured global irradiance.", CitationIds = [nameof(Citations.DiffuseSplit)])]
    public static CalculationResult Split(DiffuseSplitInput i)
    {
        var cos = Math.Cos(double.DegreesToRadians(i.ZenithDeg));
        var outside = Sun.Extraterrestrial(i.DayOfYear);
        var sky = DiffuseSplit.Split(i.GlobalWm2, cos, outside);
        return new ResultBuilder()
            .Step("k_t", "Clearness", "GHI/(G0n·max(cos z, 0.065))", $"{i.GlobalWm2}/({outside:0.#}·{cos:0.####})",
                DiffuseSplit.Clearness(i.GlobalWm2, cos, outside), QuantityKind.Number, Citations.DiffuseSplit)
            .Step("DHI", "Diffuse horizontal", "f_d(k_t)·GHI", $"{i.GlobalWm2} W/m²", sky.Diffuse, QuantityKind.Irradiance, Citations.DiffuseSplit)
            .Step("DNI", "Direct normal", "(GHI − DHI)/cos z", $"{i.GlobalWm2} − {sky.Diffuse:0.#}", sky.Direct, QuantityKind.Irradiance,
                Citations.DiffuseSplit).Done();
    }

    [Calculator("shading", "Awning", "What share of a side an awning shades, and what it takes of its sky.", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Awning(ShadingInput i)
    {
        var sun = new SunAngles(i.ZenithDeg, i.SunAzimuthDeg, 0);
        return new ResultBuilder()
            .Step("s", "Shaded", "h_s = clip(D·tan el/cos γ − gap), by 40 slices", $"D {i.DepthM} m, gap {i.GapM} m",
                Shading.AwningShaded(sun, i.FaceAzimuthDeg, i.DepthM, i.GapM, i.HeightM, i.WidthM, i.AwningWidthM, i.OffsetM), Fraction, Citations.Geometry)
            .Step("f_d", "Sky left, wide awning", "[√((gap+h)² + D²) − √(gap² + D²)]/h", $"h {i.HeightM} m", Shading.AwningSky(i.DepthM, i.GapM,
                i.HeightM),
                Fraction, Citations.Geometry).Done();
    }

    [Calculator("bridging", "Ribs", "What metal ribs add to a wall, by the zone method.", CitationIds = [nameof(Citations.ZoneMethod)])]
    public static CalculationResult Ribs(BridgingInput i)
    {
        if (i.WebM >= i.FlangeM)
            throw new InputException("webM", Phrase.Of($"{i.WebM:SmallLength}"),
                Phrase.Of($"webM: the web ({i.WebM:SmallLength}) must be thinner than the rib is wide (flangeM, {i.FlangeM:SmallLength})."));
        var foam = Materials.Find(i.Insulation)
            ?? throw new InputException(InputError.NoChoice("insulation", i.Insulation, Materials.All.Where(m => m.Insulation).Select(m => m.Id)));
        var (u, clear, zone) = Bridging.ZoneMethod([Layer.Of("steel", i.SheetM), new Layer(foam, i.InsulationM, 0), Layer.Of("plywood", i.LiningM)], 1,
            i.FlangeM, i.DepthM, i.WebM, i.MetalWmK, i.SpacingM, 0.13, 0.04);
        return new ResultBuilder()
            .Step("W_z", "Width affected", "m + 2·max(d, 13 mm), at most S", $"{i.FlangeM} + 2·max({i.DepthM}, 0.013)", zone, SmallLength,
                Citations.ZoneMethod)
            .Step("U_clear", "U between the ribs", "1/(ΣR)", $"R_si 0.13, R_se 0.04", clear, ThermalTransmittance, Citations.Films)
            .Step("U", "U with the ribs", "(UA_zone + (S − W_z)·U_clear)/S", $"S {i.SpacingM} m", u, ThermalTransmittance, Citations.ZoneMethod)
            .Step("U_extra", "Ribs add", "U − U_clear", $"{u:0.####} − {clear:0.####}", u - clear, ThermalTransmittance, Citations.ZoneMethod).Done();
    }

    [Calculator("window-gap", "Gap round a window unit", "How much air a gap lets in, and what it costs.",
        CitationIds = [nameof(Citations.Leakage), nameof(Citations.Psychrometrics)])]
    public static CalculationResult Gap(WindowGapInput i)
    {
        var flow = AirExchange.GapM3s(i.AreaM2, i.OutsideC - i.InsideC, i.WindMs);
        var density = 1 / MoistAir.SpecificVolume(i.InsideC, MoistAir.RatioFromRh(i.InsideC, 50, Atmosphere.SeaLevelPa), Atmosphere.SeaLevelPa);
        return new ResultBuilder()
            .Step("Q", "Air let in", "A·√(C_s·ΔT + C_w·v²)", $"{i.AreaM2 * 1e4:0.#} cm², {i.WindMs} m/s", flow, AirFlow, Citations.Leakage)
            .Step("q", "Sensible heat", "ρ·Q·c_p·ΔT", $"ΔT {i.OutsideC - i.InsideC:0.#} K", density * flow * 1017 * (i.OutsideC - i.InsideC), Power,
                Citations.Psychrometrics).Done();
    }

    [Calculator("door-exchange", "Opening a door", "How much air an opened door changes, and what it costs.",
        CitationIds = [nameof(Citations.Psychrometrics), nameof(Citations.DoorFlow)])]
    public static CalculationResult Door(DoorExchangeInput i)
    {
        var (flow, changed) = AirExchange.Door(i.VolumeM3, i.WidthM, i.HeightM, i.InsideC, i.OutsideC, i.OpenS);
        var mean = changed * i.OpeningsPerHour / 3600;
        var density = 1 / MoistAir.SpecificVolume(i.InsideC, MoistAir.RatioFromRh(i.InsideC, 50, Atmosphere.SeaLevelPa), Atmosphere.SeaLevelPa);
        return new ResultBuilder()
            .Step("Q", "Flow while it is open", "(C_d/3)·w·H·√(g·H·ΔT/T_m)", $"C_d 0.6, ΔT {Math.Abs(i.OutsideC - i.InsideC):0.#} K", flow, AirFlow,
                Citations.DoorFlow)
            .Step("V", "Changed in one opening", "V·(1 − e^(−Q·s/V))", $"{i.VolumeM3} m³, {i.OpenS} s", changed, Volume, Citations.DoorFlow)
            .Step("q", "Sensible heat on the mean", "ρ·V̇·c_p·ΔT", $"{i.OpeningsPerHour} an hour", density * mean * 1017 * (i.OutsideC - i.InsideC),
                Power,
                Citations.Psychrometrics).Done();
    }

    private static string Located(WeatherPlace place) => string.Create(CultureInfo.InvariantCulture,
        $"{place.Name}, {place.LatitudeDeg}°, {place.LongitudeDeg}°, UTC {place.UtcOffsetH:+0.##;-0.##;0}, {place.ElevationM} m");

    /// <summary>Air to breathe and to burn.</summary>
    [Calculator("carbon-dioxide", "Fresh air", "Where carbon dioxide settles, and whether a flame has enough air.", CitationIds = [nameof(Citations.Breath)])]
    public static CalculationResult Breath(CarbonDioxideInput i)
    {
        var ppm = AirExchange.CarbonDioxidePpm(i.Awake, i.Asleep, 1000 * i.FreshM3s);
        var result = new ResultBuilder()
            .Step("c", "Carbon dioxide, ppm", "420 + (n·0.0052 + m·0.0036)/V̇·10⁶", $"{i.Awake} awake, {i.Asleep} asleep, {1000 * i.FreshM3s:0.##} L/s",
                ppm,
                Count, Citations.Breath)
            .Judge(AirExchange.JudgeBreath(ppm, i.FreshM3s));
        var needed = AirExchange.FlameAirLs(i.FlameW) / 1000;
        if (i.FlameW > 0)
            result.Step("V̇_f", "The flame needs at least", "10 L/s a kW", $"{i.FlameW} W", needed, AirFlow, Citations.Trade)
                .Judge(AirExchange.JudgeFlame(i.FlameW, i.FreshM3s));
        return result.Done();
    }

    /// <summary>Days of weather.</summary>
    [Calculator("weather-generator", "Made weather", "Plausible days from monthly figures and a seed.", CitationIds = [nameof(Citations.MadeWeather)])]
    public static CalculationResult Weather(WeatherGeneratorInput i)
    {
        var month = new MonthClimate { MaxC = i.MaxC, MinC = i.MinC, Clearness = i.Clearness, HumidityPct = i.HumidityPct };
        var generator = new WeatherGenerator(new WeatherPlace("made", i.LatitudeDeg, 0, 0, i.ElevationM), [.. Enumerable.Repeat(month, 12)]);
        var year = generator.Year((ulong)i.Seed, i.Days, i.FirstDay);
        return new ResultBuilder()
            .Step("t_max", "Hottest hour", "largest hourly value", $"{i.Days} days, seed {i.Seed}", year.AirC.Max(), Temperature, Citations.MadeWeather)
            .Number("t_min", "Coldest hour", year.AirC.Min(), Temperature)
            .Number("t", "Mean", year.AirC.Average(), Temperature)
            .Step("H", "Sun on the flat, a day", "Σ GHI/days", $"clearness {i.Clearness}", year.GlobalWm2.Sum() / i.Days, QuantityKind.Energy,
                Citations.MadeWeather).Done();
    }

    /// <summary>A weather file.</summary>
    [Calculator("epw-reader", "Weather file", "Reads the text of an EPW file, checks it and says what a year there is like.",
        CitationIds = [nameof(Citations.EpwFormat)])]
    public static CalculationResult Epw(EpwReaderInput i)
    {
        var text = i.Text.Length > 0 ? i.Text : EpwFile.Write(
            new WeatherGenerator(new WeatherPlace("made here", 34, 0, 0, 100), [.. Enumerable.Repeat(new MonthClimate(), 12)]).Year(1), "made");
        var (year, findings) = EpwFile.Read(text);
        var result = new ResultBuilder()
            .Words("place", "Place", Located(year.Place))
            .Step("t_max", "Hottest hour", "largest dry bulb", $"{year.Hours} hours", year.AirC.Max(), Temperature, Citations.EpwFormat)
            .Number("t_min", "Coldest hour", year.AirC.Min(), Temperature)
            .Step("H", "Sun on the flat in the year", "Σ GHI", $"{year.Hours} hours", year.GlobalKWhM2 * 1000, QuantityKind.Energy, Citations.EpwFormat);
        foreach (var finding in findings)
            result.Judge(finding);
        return result.Done();
    }
}
