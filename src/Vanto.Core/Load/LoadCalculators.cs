using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Load;

/// <summary>A rig in a few figures, for calculations without a job: one box, one skin, glass alike on both sides.</summary>
public record BoxInput : DesignPart
{
    [Field(Length, 0.8, 40, Label = "Length inside")] public double LengthM { get; init; } = 5.4;
    [Field(Length, 0.8, 20, Label = "Width")] public double WidthM { get; init; } = 1.9;
    [Field(Length, 0.8, 10, Label = "Height")] public double HeightM { get; init; } = 1.9;
    [Ask("Build", Options = "skins")] public string Skin { get; init; } = "van-steel";
    [Field(SmallLength, 0, 0.5, Label = "Foam in walls and roof")] public double InsulationM { get; init; } = 0.025;
    [Ask("Paint", Options = "paints")] public string Paint { get; init; } = "white";
    [Field(Area, 0, 20, Label = "Glass on each long side")] public double GlassM2 { get; init; } = 0.45;
    [Field(Latitude, -66, 66, Label = "Latitude")] public double LatitudeDeg { get; init; } = 34;
    [Field(Length, -430, 5000, Label = "Altitude")] public double ElevationM { get; init; }
    [Field(Temperature, -50, 60, Label = "Hottest hour")] public double DryBulbC { get; init; } = 38;
    [Field(Temperature, -50, 60, Label = "Night low")] public double NightLowC { get; init; } = 20;
    [Field(Percent, 3, 100, Label = "Humidity at the hottest hour")] public double HumidityPct { get; init; } = 25;
    [Field(Angle, 0, 360, Label = "Nose points to")] public double HeadingDeg { get; init; } = 180;
    [Field(QuantityKind.Number, 0, 60, Label = "Air changes an hour")] public double AirChangesPerHour { get; init; } = 1;
    [Field(Count, 0, 60, Label = "People")] public int People { get; init; } = 2;
    [Field(ElectricPower, 0, 20000, Label = "Devices inside, day and night")] public double DevicesW { get; init; } = 60;
    [Field(Temperature, 16, 35, Label = "Held at")] public double SetpointC { get; init; } = 25;
    [Field(Percent, 20, 80, Label = "Humidity inside")] public double InsideHumidityPct { get; init; } = 50;
    [Field(Longitude, -180, 180, Label = "Longitude")] public double LongitudeDeg { get; init; }
    [Field(QuantityKind.Number, -12, 14, Label = "Standard time against UTC, hours")] public double UtcOffsetH { get; init; }
    [Field(Count, 1, 12, Label = "Month of the design day")] public int Month { get; init; } = 7;
    [Field(Count, 1, 28, Label = "Day of the month")] public int Day { get; init; } = 21;
    [Field(Speed, 0, 40, Label = "Wind outdoors")] public double OutdoorWindMs { get; init; } = 2;
    [Field(QuantityKind.Number, 1.5, 10, Label = "Haze (Linke turbidity)")] public double LinkeTurbidity { get; init; } = 3.5;
    [Ask("It stands on")] public GroundKind Ground { get; init; } = GroundKind.Gravel;
    [Field(Fraction, 0, 0.95, Label = "Sun thrown back by the ground")] public double Albedo { get; init; } = 0.2;
    [Ask("Insulation", Options = "insulations")] public string Insulation { get; init; } = "pe-foam";
    [Ask("Glazing", Options = "glazings")] public string Glazing { get; init; } = "acrylic-double";
    [Ask("Cover", Options = "covers")] public string Cover { get; init; } = "none";
    [Field(HeatCapacity, 5000, 400000, Label = "Fittings as heat store, for each m² of floor")] public double MassJm2K { get; init; } = 40000;
    [Ask("By day people are")] public Activity Activity { get; init; } = Activity.Seated;

    internal SurveyDesign Survey()
    {
        var skin = new SkinDesign { Preset = Skin, Insulation = Insulation, InsulationM = InsulationM, Paint = Paint };
        WindowDesign Glass(Side side) =>
            new() { Name = side.ToString(), Side = side, WidthM = GlassM2 / (0.5 * HeightM), HeightM = 0.5 * HeightM, Glazing = Glazing, Cover = Cover };
        return new SurveyDesign
        {
            Place = new PlaceDesign
            {
                LatitudeDeg = LatitudeDeg,
                LongitudeDeg = LongitudeDeg,
                UtcOffsetH = UtcOffsetH,
                ElevationM = ElevationM,
                Month = Month,
                Day = Day,
                DryBulbC = DryBulbC,
                NightLowC = NightLowC,
                HumidityPct = HumidityPct,
                WindMs = OutdoorWindMs,
                LinkeTurbidity = LinkeTurbidity,
                Ground = Ground,
                Albedo = Albedo,
            },
            HeadingDeg = HeadingDeg,
            Space = new SpaceDesign
            {
                LengthM = LengthM,
                WidthM = WidthM,
                HeightM = HeightM,
                AirChangesPerHour = AirChangesPerHour,
                HeatCapacityJm2K = MassJm2K
            },
            Roof = skin,
            Walls = skin,
            Windows = GlassM2 < 0.05 ? [] : [Glass(Side.Left), Glass(Side.Right)],
            People = new PeopleDesign { Count = People, Activity = Activity },
            Devices = DevicesW > 0 ? [new DeviceDesign { Name = "devices", PowerW = DevicesW }] : [],
        };
    }

    internal SpaceDescription Space() => SurveyedSpace.Build(Survey(), SetpointC, InsideHumidityPct);
}

/// <summary>Inputs of <see cref="LoadCalculators.Hold"/>.</summary>
public sealed record HoldTimeInput : BoxInput
{
    [Field(Count, 0, 23, Label = "The unit stops at hour")] public int Hour { get; init; } = 15;
    [Ask("Films inside")] public Films Films { get; init; }
}

/// <summary>Inputs of <see cref="LoadCalculators.Attic"/>.</summary>
public sealed record AtticInput : DesignPart
{
    [Field(Temperature, -20, 55, Label = "Outdoors")] public double OutdoorC { get; init; } = 33;
    [Field(QuantityKind.Irradiance, 0, 1200, Label = "Sun on the roof")] public double SunWm2 { get; init; } = 900;
    [Ask("Colour of the roof", Options = "paints")] public string Paint { get; init; } = "mid-grey";
    [Field(Speed, 0, 20, Label = "Wind")] public double WindMs { get; init; } = 2;
    [Field(QuantityKind.Number, 0, 40, Label = "Its air changes an hour")] public double AirChangesPerHour { get; init; } = 4;
    [Field(Length, 0.1, 4, Label = "Its height on average")] public double HeightM { get; init; } = 0.8;
    [Field(ThermalTransmittance, 0.05, 6, Label = "Ceiling with its insulation, U")] public double CeilingU { get; init; } = 0.25;
    [Field(Temperature, 10, 35, Label = "Room below held at")] public double RoomC { get; init; } = 24;
}

/// <summary>Inputs of <see cref="LoadCalculators.Moisture"/>.</summary>
public sealed record RoomMoistureInput : DesignPart
{
    [Field(Temperature, 5, 45, Label = "Air inside")] public double AirC { get; init; } = 25;
    [Field(Percent, 5, 100, Label = "Humidity at the start")] public double StartPct { get; init; } = 55;
    [Field(QuantityKind.Volume, 1, 500, Label = "Room")] public double VolumeM3 { get; init; } = 20;
    [Field(QuantityKind.Number, 0, 60, Label = "Air changes an hour")] public double AirChangesPerHour { get; init; } = 1;
    [Field(Temperature, -20, 50, Label = "Outdoors")] public double OutdoorC { get; init; } = 32;
    [Field(Percent, 3, 100, Label = "Humidity outdoors")] public double OutdoorPct { get; init; } = 60;
    [Field(Power, 0, 5000, Label = "Moisture given off inside, as heat")] public double LatentW { get; init; } = 110;
    [Field(Power, 0, 5000, Label = "Drying of the coil, as heat")] public double CoilW { get; init; } = 150;
    [Field(QuantityKind.Number, 1, 30, Label = "Water held against the air alone", Help = "linings and furnishings; common practice 5 to 20")]
    public double Store { get; init; } = RoomMoisture.StoreFactor;
    [Field(Hours, 0.1, 48, Label = "For")] public double HoursLong { get; init; } = 8;
}

/// <summary>Inputs of <see cref="LoadCalculators.PeakIndoor"/>.</summary>
public sealed record PeakIndoorInput : BoxInput
{
    [Field(Power, 0, 20000, Label = "Sensible cooling that the unit gives")] public double SensibleW { get; init; } = 1200;
}

/// <summary>Inputs of <see cref="LoadCalculators.Heating"/>.</summary>
public sealed record DesignHeatingInput : BoxInput
{
    [Field(Temperature, -50, 20, Label = "Coldest night")] public double WinterC { get; init; } = -10;
    [Field(Temperature, 3, 30, Label = "Heated to")] public double IndoorC { get; init; } = 20;
    [Field(Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; } = 4;
}

/// <summary>Inputs of <see cref="LoadCalculators.Balance"/>.</summary>
public sealed record BalancePointInput : DesignPart
{
    [Field(Conductance, 1, 2000, Label = "The space loses")] public double ConductanceWK { get; init; } = 76.88;
    [Field(Temperature, 3, 30, Label = "Heated to")] public double IndoorC { get; init; } = 20;
    [Field(Power, 0, 20000, Label = "Sure gains")] public double GainsW { get; init; }
    [Field(Power, 0, 30000, Label = "It gives at −15 °C")] public double AtMinus15W { get; init; } = 1800;
    [Field(Power, 0, 30000, Label = "at −7 °C")] public double AtMinus7W { get; init; } = 2600;
    [Field(Power, 0, 30000, Label = "at 8.3 °C")] public double At8W { get; init; } = 3500;
}

/// <summary>Inputs of <see cref="LoadCalculators.Year"/>.</summary>
public sealed record YearRunInput : BoxInput
{
    [Field(Temperature, -20, 55, Label = "Mean daily maximum, hottest month")] public double SummerMaxC { get; init; } = 38;
    [Field(Temperature, -30, 45, Label = "Mean daily maximum, coldest month")] public double WinterMaxC { get; init; } = 16;
    [Field(TemperatureDifference, 2, 25, Label = "Day above night")] public double DailyRangeK { get; init; } = 13;
    [Field(Fraction, 0.25, 0.75, Label = "Clearness")] public double Clearness { get; init; } = 0.6;
    [Field(Percent, 5, 98, Label = "Mean humidity")] public double MeanHumidityPct { get; init; } = 40;
    [Field(Temperature, 3, 30, Label = "Heated to")] public double HeatC { get; init; } = 18;
    [Field(Count, 1, 1000000, Label = "Seed")] public int Seed { get; init; } = 1;

    /// <summary>Twelve months between the two, the hottest in July (January south of the equator).</summary>
    internal IReadOnlyList<MonthClimate> Months() => [.. Enumerable.Range(0, 12).Select(m =>
    {
        var season = Math.Cos(2 * Math.PI * (m - (LatitudeDeg >= 0 ? 6 : 0)) / 12);
        var max = (SummerMaxC + WinterMaxC) / 2 + (SummerMaxC - WinterMaxC) / 2 * season;
        return new MonthClimate { MaxC = max, MinC = max - DailyRangeK, Clearness = Clearness, HumidityPct = MeanHumidityPct };
    })];

    internal WeatherYear Weather() => new WeatherGenerator(new WeatherPlace("made", LatitudeDeg, 0, 0, ElevationM), Months()).Year((ulong)Seed);
}

/// <summary>Load calculations on their own.</summary>
public static class LoadCalculators
{
    private const int StepS = 300;

    /// <summary>How much must go out.</summary>
    [Calculator("design-cooling-load", "Cooling load of a box", "How many watts on the design day, and what causes them.",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.SolAir), nameof(Citations.Glass), nameof(Citations.People)])]
    public static CalculationResult CoolingLoad(BoxInput i)
    {
        var space = i.Space();
        var (load, _) = DesignCoolingLoad.Solve(space, DesignDay.Steps(space.Weather, StepS));
        var result = new ResultBuilder()
            .Step("UA", "Skin and glass lose", "Σ U·A", $"{space.Faces.Count} faces, {space.Windows.Count} windows", new ThermalSpace(space).SkinWK,
                Conductance, Citations.Films)
            .Step("Q", "Peak load", "heat balance, the day repeated", $"hour {load.PeakHour + 1}", load.PeakW, Power, Citations.HeatBalance)
            .Number("h", "in the hour that begins at", load.PeakHour, HourOfDay)
            .Number("SHR", "Sensible share", load.PeakSensibleShare, Fraction)
            .Step("Q_day", "Heat of the day", "Σ hourly means", $"24 h", load.DayWh, HeatEnergy, Citations.HeatBalance);
        foreach (var cause in Enum.GetValues<Cause>())
            result.Number(cause.ToString(), Calls.Name(cause), load.ByCause[(int)cause][load.PeakHour], Power);
        return result.Done();
    }

    /// <summary>The engine itself.</summary>
    [Calculator("space-model", "Heat balance of a box", "What a lived-in box does by itself through the repeating design day, and whether its energy closes.",
        CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult Model(BoxInput i)
    {
        var space = i.Space();
        var drivers = SpaceDrivers.Build(space, DesignDay.Steps(space.Weather, StepS));
        var model = new ThermalSpace(space);
        model.Prepare(StepS);
        model.Reset(space.SetpointC);
        double warm = double.MinValue, cold = double.MaxValue, off = 0;
        for (var day = 0; day < 20; day++)
        {
            (warm, cold, off) = (double.MinValue, double.MaxValue, 0);
            for (var k = 0; k < drivers.Steps; k++)
            {
                var before = model.StoredJ;
                var (convective, radiant) = drivers.GainSplit(k);
                model.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
                model.End(model.HubB / model.HubA);
                var heat = (model.FlowFromOutside(drivers.At(k)) + model.Infiltration * (drivers.OutdoorC[k] - model.AirC) + convective + radiant) * StepS;
                off = Math.Max(off, Math.Abs(model.StoredJ - before - heat));
                (warm, cold) = (Math.Max(warm, model.AirC), Math.Min(cold, model.AirC));
            }
        }
        return new ResultBuilder()
            .Step("T_max", "Warmest, nothing cooling", "T = B/A each 300 s, day 20", $"{model.NodeCount} nodes", warm, Temperature, Citations.HeatBalance)
            .Number("T_min", "Coolest", cold, Temperature)
            .Step("r", "Largest fault of the energy balance, J a step", "Σ heat in − Δ stored", $"{drivers.Steps} steps", off, QuantityKind.Number,
                Citations.HeatBalance).Done();
    }

    /// <summary>Which way to park.</summary>
    [Calculator("heading-sweep", "Which way to park", "The peak load of a box at sixteen headings.",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.Transposition)])]
    public static CalculationResult Headings(BoxInput i)
    {
        var space = i.Space();
        HeldAirLoad held = new HeldAirLoad(DesignDay.Steps(space.Weather, StepS));
        var sweep = Enumerable.Range(0, 16).Select(k => (Heading: k * 22.5, held.Solve(space with { HeadingDeg = k * 22.5 }).PeakW)).ToList();
        var (best, worst) = (sweep.MinBy(s => s.PeakW), sweep.MaxBy(s => s.PeakW));
        var result = new ResultBuilder()
            .Step("best", "Best heading", "smallest of 16 peaks", $"{best.PeakW:0} W", best.Heading, Degrees, Citations.HeatBalance)
            .Step("worst", "Worst heading", "largest of 16 peaks", $"{worst.PeakW:0} W", worst.Heading, Degrees, Citations.HeatBalance);
        foreach (var (heading, watts) in sweep)
            result.Number($"{heading:0.#}°", FormattableString.Invariant($"nose to {heading:0.#}°"), watts, Power);
        return result.Done();
    }

    /// <summary>What would buy most.</summary>
    [Calculator("load-sensitivity", "What a change buys", "Each measure on a box, on its own, the largest first.",
        CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult Sensitivity(BoxInput i)
    {
        var assessment = LoadStation.Assess(i.Survey(), new LoadDesign { SetpointC = i.SetpointC, HumidityPct = i.InsideHumidityPct });
        var result =
            new ResultBuilder().Step("Q", "Peak load now", "heat balance", $"hour {assessment.PeakHour + 1}", assessment.PeakW, Power, Citations.HeatBalance);
        foreach (var measure in assessment.Measures)
            result.Step(measure.Id, measure.Words.InUnits(), "peak with the change − peak now", $"{measure.DayChangeWh:0} Wh a day", measure.PeakChangeW,
                Power,
                Citations.HeatBalance);
        return result.Done();
    }

    /// <summary>Closed up in the sun.</summary>
    [Calculator("heat-soak", "Closed up in the sun", "How hot a box gets with nobody in and nothing cooling.", CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult Soak(BoxInput i)
    {
        var space = i.Space();
        var soak = new HeatSoak(space, DesignDay.Steps(space.Weather, StepS));
        return new ResultBuilder()
            .Step("T", "It reaches", "the day repeated, air floating", $"{space.Weather.DryBulbC} °C outdoors", soak.Peak.AirC, Temperature,
                Citations.HeatBalance)
            .Number("h", "at", soak.Peak.Hour, HourOfDay)
            .Number("T_15", "at 15:00 it stands at", soak.At(15), Temperature).Done();
    }

    /// <summary>How long it is safe after a power cut.</summary>
    [Calculator("hold-time", "Minutes after the unit stops", "How long a held box stays below temperatures once nothing cools.",
        CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult Hold(HoldTimeInput i)
    {
        var space = i.Space();
        var drivers = SpaceDrivers.Build(space, DesignDay.Steps(space.Weather, StepS));
        double[] limits = [28, 30, 32, 35];
        var settled = DesignCoolingLoad.Solve(space, drivers).Settled;
        var minutes = i.Films == Films.Apart
            ? HeatSoak.SafeTimes(space, drivers, settled, i.Hour, limits)
            : [.. limits.Zip(HeatSoak.HoldTime(space, drivers, settled, i.Hour, limits, null), (l, m) => new HoldMinutes(l, m, m))];
        var result = new ResultBuilder();
        result.Working.Given("T_0", "held at", space.SetpointC, "°C", Citations.HeatBalance)
            .Given("h_c", "convection inside, fan off: least of 1.5 to 3.5", FreeFloat.StillAirWm2K, "W/m²K", Citations.StillAir)
            .Step("t", "60 s steps from the held day", $"from {i.Hour} h", minutes[0].Minutes ?? HeatSoak.HoldLimitMinutes, "min", Citations.HeatBalance);
        foreach (var hold in minutes)
            result.Words($"{hold.LimitC} °C", FormattableString.Invariant($"until {hold.LimitC} °C"),
                hold.Minutes is not { } m ? "not within 12 h" : hold.Longest == m ? FormattableString.Invariant($"{m:0} min")
                : FormattableString.Invariant($"{m:0} min, at best {(hold.Longest is { } l ? $"{l:0} min" : "more than 12 h")}"));
        return result.Done();
    }

    /// <summary>How hot an attic gets.</summary>
    [Calculator("vented-attic", "A vented attic", "How hot the space above a ceiling gets in a steady sun", CitationIds = [nameof(Citations.SolAir),
        nameof(Citations.Attic)])]
    public static CalculationResult Attic(AtticInput i)
    {
        var film = SkyLongWave.OutsideFilm(i.WindMs, 0.90, 293.15);
        var absorptance = RigBox.Absorptance(i.Paint, "paint");
        var vent = SurveyedSpace.AtticVentWm2K(i.AirChangesPerHour, i.HeightM);
        var solAir = SpaceDrivers.SolAir(i.OutdoorC, absorptance, i.SunWm2, 0.90, 0, film);
        var attic = new Attic(absorptance, vent).Steady(solAir, i.OutdoorC, film, i.CeilingU, i.RoomC);
        return new ResultBuilder()
            .Step("T_s", "Sol-air temperature of the roof", "T_o + α·G/h_o", $"{i.OutdoorC} + {absorptance} × {i.SunWm2}/{film:0.#}", solAir, Temperature,
                Citations.SolAir)
            .Step("h_v", "Carried off by its air", "n·h·ρc/3600", $"{i.AirChangesPerHour} × {i.HeightM} m", vent, ThermalTransmittance, Citations.Attic)
            .Step("T_a", "The attic stands at", "what comes through the roof goes to vents and ceiling", $"room {i.RoomC} °C, ceiling {i.CeilingU} W/m²K",
                attic,
                Temperature, Citations.Attic)
            .Step("q", "Into the room", "U·(T_a − T_i)", $"{i.CeilingU} × {attic - i.RoomC:0.#}", i.CeilingU * (attic - i.RoomC), QuantityKind.Irradiance,
                Citations.Films).Done();
    }

    /// <summary>Humidity of a room after a while.</summary>
    [Calculator("room-moisture", "Moisture of a room", "Where a room's humidity goes: air exchanged, people, the coil, what linings hold",
        CitationIds = [nameof(Citations.Moisture), nameof(Citations.Psychrometrics)])]
    public static CalculationResult Moisture(RoomMoistureInput i)
    {
        var p = Atmosphere.SeaLevelPa;
        var start = MoistAir.RatioFromRh(i.AirC, i.StartPct, p);
        var density = 1 / MoistAir.SpecificVolume(i.AirC, start, p);
        var exchange = density * i.AirChangesPerHour * i.VolumeM3 / 3600;
        var outdoors = MoistAir.RatioFromRh(i.OutdoorC, i.OutdoorPct, p);
        var room = new RoomMoisture(density * i.VolumeM3 * i.Store, exchange, p, start);
        room.Begin(outdoors, i.LatentW - i.CoilW);
        room.End(i.HoursLong * 3600, i.AirC);
        var ratio = Math.Max(0, room.Ratio);
        return new ResultBuilder()
            .Step("w_0", "Humidity ratio at the start", "0.622·p_v/(p − p_v)", $"{i.StartPct} % at {i.AirC} °C", start, QuantityKind.HumidityRatio,
                Citations.Psychrometrics)
            .Step("ṁ", "Air exchanged", "ρ·n·V/3600", $"{density:0.###} × {i.AirChangesPerHour} × {i.VolumeM3}/3600", exchange, QuantityKind.Number,
                Citations.Moisture)
            .Step("w", "Humidity ratio then", "dw/dt = [ṁ(w_o − w) + (q_in − q_coil)/h_fg]/(m·b)", $"b {i.Store}, {i.HoursLong} h", ratio,
                QuantityKind.HumidityRatio, Citations.Moisture)
            .Step("RH", "Humidity then", "p_v/p_sat", $"at {i.AirC} °C", Math.Min(100, MoistAir.RelativeHumidity(i.AirC, ratio, p)), Percent,
                Citations.Psychrometrics)
            .Judge(room.Ratio < 0 ? Finding.Of(FindingCode.AirTooDry, Severity.Note,
                $"So much drying is not to be had: the air holds less water than that.") : null)
            .Done();
    }

    /// <summary>What if it is too small.</summary>
    [Calculator("peak-indoor-with-capacity", "If the unit is too small", "How warm a box gets on the design day with a limited unit.",
        CitationIds = [nameof(Citations.HeatBalance)])]
    public static CalculationResult PeakIndoor(PeakIndoorInput i)
    {
        var space = i.Space();
        var (peak, hour, above) = HeatSoak.PeakIndoorWithCapacity(space, SpaceDrivers.Build(space, DesignDay.Steps(space.Weather, StepS)), _ => i.SensibleW);
        return new ResultBuilder()
            .Step("T", "Warmest it gets", "the day repeated, cooling limited", $"{i.SensibleW} W sensible", peak, Temperature, Citations.HeatBalance)
            .Number("h", "at", hour, HourOfDay)
            .Number("t", "above the set-point by half a kelvin for", above, Hours).Done();
    }

    /// <summary>Heating load.</summary>
    [Calculator("design-heating-load", "Heating load", "What a box loses in the coldest night, steady and without sun.",
        CitationIds = [nameof(Citations.Films)])]
    public static CalculationResult Heating(DesignHeatingInput i)
    {
        var load = HeatingLoad.Design(i.Space(), i.IndoorC, i.WinterC, i.WindMs);
        return new ResultBuilder()
            .Step("UA", "It loses", "ΣUA + ribs + air, winter films", $"wind {i.WindMs} m/s", load.ConductanceWK, Conductance, Citations.Films)
            .Step("Q", "Heating load", "Σ U·A·ΔT + ṁ·c·ΔT", $"{i.IndoorC} − ({i.WinterC}) K", load.TotalW, Power, Citations.Films)
            .Number("roof", "roof", load.RoofW, Power).Number("walls", "walls", load.WallsW, Power).Number("floor", "floor", load.FloorW, Power)
            .Number("glass", "glass", load.GlassW, Power).Number("air", "air", load.AirW, Power).Done();
    }

    /// <summary>Where the heat pump's capacity meets the loss.</summary>
    [Calculator("balance-point", "Balance point", "Down to which temperature a heat pump carries the space alone.",
        CitationIds = [nameof(Citations.Arithmetic)])]
    public static CalculationResult Balance(BalancePointInput i)
    {
        var (kind, outdoor) = HeatingLoad.BalancePoint([(-15, i.AtMinus15W), (-7, i.AtMinus7W), (8.3, i.At8W)], i.ConductanceWK, i.IndoorC, i.GainsW);
        return new ResultBuilder()
            .Step("t", "Balance point", "Q_hp(t) = UA·(t_i − t) − gains, linear between the points", $"UA {i.ConductanceWK} W/K", outdoor, Temperature,
                Citations.Arithmetic)
            .Words("kind", "It lies", kind switch
            {
                BalanceKind.At => "on the curve",
                BalanceKind.BelowLowest =>
                "below the lowest point: it carries all of the curve",
                _ => "above the highest point: it carries none of it"
            }).Done();
    }

    [Calculator("year-run", "A year of the box", "How often and how hard a box is cooled and heated through a made year.",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.MadeWeather)])]
    public static CalculationResult Year(YearRunInput i)
    {
        if (i.HeatC >= i.SetpointC)
            throw new InputException("heatC", Phrase.Of($"{i.HeatC:Temperature}"),
                Phrase.Of($"heatC: heating to {i.HeatC:Temperature} must stay below the {i.SetpointC:Temperature} held in summer"));
        var year = new YearRun(i.Space(), i.Weather()).Run(i.HeatC);
        return new ResultBuilder()
            .Step("Q_s", "Sensible cooling", "Σ hours", $"{year.CoolingHours} cooling hours", year.SensibleKWh * 1000, HeatEnergy, Citations.HeatBalance)
            .Number("Q_l", "Moisture", year.LatentKWh * 1000, HeatEnergy)
            .Step("Q_h", "Heating", "Σ hours", $"to {i.HeatC} °C", year.HeatingKWh * 1000, HeatEnergy, Citations.HeatBalance)
            .Number("Q_max", "Largest hour", year.PeakW, Power)
            .Number("n", "Hours that need cooling", year.CoolingHours, Count).Done();
    }

    /// <summary>Which month to size for.</summary>
    [Calculator("worst-design-month", "Worst month", "Low sun on large side windows can beat the hottest month.",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.Trade)])]
    public static CalculationResult WorstMonth(YearRunInput i)
    {
        var peaks = WorstDesignMonth.Peaks(i.Space(), [.. i.Months().Select(m => m.MaxC)]);
        var worst = Array.IndexOf(peaks, peaks.Max());
        var result = new ResultBuilder().Step("m", "Worst month", "DB_m = DB − (max − max_m), wet bulb 0.6 of it; the largest peak", $"{peaks[worst]:0} W",
            worst + 1, Count, Citations.Trade);
        for (var m = 0; m < 12; m++)
            result.Number($"{m + 1}", $"month {m + 1}", peaks[m], Power);
        return result.Done();
    }
}
