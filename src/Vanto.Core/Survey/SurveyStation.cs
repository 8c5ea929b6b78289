using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Supply;

namespace Vanto.Core.Survey;

/// <summary>What the survey comes to.</summary>
public sealed record SurveyAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures, IReadOnlyList<SunHour> SunPath,
    double WorldNoseDeg) : IStationResult
{    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}

/// <summary>The sun over the rig at an hour of the design day: azimuth clockwise from north and elevation, degrees.</summary>
/// <param name="Hour">Hour of the day.</param>
/// <param name="AzimuthDeg">From north.</param>
/// <param name="ElevationDeg">Above the horizon.</param>
/// <param name="Lit">Upright sides that it falls on.</param>
public sealed record SunHour(int Hour, double AzimuthDeg, double ElevationDeg, IReadOnlyList<Side> Lit);

public sealed class SurveyStation : Station<SurveyAssessment>
{
    /// <inheritdoc />
    public override string Name => "survey";

    /// <inheritdoc />
    public override StationPhase Phase => StationPhase.Size;

    /// <inheritdoc />
    public override IReadOnlyList<StationLeaf> Leaves { get; } =
    [
        new("rig", "rig", "What is the rig, and how does it lie to the sun?"),
        new("skin", "spaces and skin", "How large is it, and what is it built of?"),
        new("windows", "windows", "Where is the glass, and what covers it?"),
        new("people", "people and devices", "Who and what gives off heat inside?"),
        new("board", "on board", "What feeds it?"),
        new("place", "place and weather", "Where does it stand, and how hot does it get?"),
        new("fields", "all fields", "Where is the field?"),
    ];

    /// <inheritdoc />
    public override IReadOnlyList<Type> Reads => [typeof(SurveyDesign)];

    /// <inheritdoc />
    public override IEnumerable<SheetBlock> Sheet(StationInputs job) => SurveySheet.Of(job.Design<SurveyDesign>());

    /// <inheritdoc />
    public override IStationResult Assess(StationInputs job) => Assess(job.Design<SurveyDesign>());

    /// <summary>Adds up skin and glass and draws the sun's path.</summary>
    public static SurveyAssessment Assess(SurveyDesign survey)
    {
        var further = survey.Further.Select((f, i) => RigBox.Faces(f.Space, f.Windows, $"survey.further[{i}].windows"));
        var faces = RigBox.Faces(survey).Concat(further.SelectMany(f => f)).ToList();
        var weather = RigBox.Weather(survey.Place);
        var floor = faces.Where(f => f.Side is null).Sum(f => f.GrossM2);
        var partitions = survey.Further.Sum(f => 2 * f.Space.WidthM * f.Space.HeightM);
        var skin = faces.Sum(f => f.GrossM2) - partitions;
        var glass = faces.Sum(f => f.GlassM2);
        var wall = WallTransmittance(survey);
        var path = Enumerable.Range(0, 24)
            .Select(
                h => (Hour: h,
                    Sun: Sun.Position(WeatherCalendar.Year, weather.Month, weather.Day, h, weather.UtcOffsetH, weather.LatitudeDeg, weather.LongitudeDeg)))
            .Where(s => s.Sun.ElevationDeg > 0)
            .Select(s => new SunHour(s.Hour, s.Sun.AzimuthDeg, s.Sun.ElevationDeg, Lit(survey, s.Sun)))
            .ToList();
        var findings = Findings(survey, wall.Value, path).ToList();
        return new SurveyAssessment(
            new Verdict(Verdict.Worst(findings), Phrase.Of($"{floor:Area} of floor under {skin:Area} of skin, {glass:Area} of it glass."),
                Phrase.Of($"A rig is not a room: {skin / floor:Ratio} times as much skin as floor; a house has about 3.")),
            Finding.Ranked(findings),
            [
                new Figure("Floor", floor, QuantityKind.Area, Working.Start().Step("A", "Σ length × width of the spaces",
                    $"{survey.Space.LengthM} × {survey.Space.WidthM}{(survey.Further.Count > 0 ? " + further" : "")}", floor, "m²",
                        Citations.Geometry).Done()),
                new Figure("Skin", skin, QuantityKind.Area,
                    Working.Start().Step("A_skin", "roof + floor + sides, less partitions", $"2 × {floor:0.###} + sides", skin, "m²", Citations.Geometry)
                        .Done()),
                new Figure("Glass", glass, QuantityKind.Area,
                    Working.Start().Step("A_glass", "Σ width × height × count", $"{survey.Windows.Count} rows of windows", glass, "m²", Citations.Geometry)
                        .Done()),
                wall,
            ],
            path,
            survey.HeadingDeg)
        {
            Answers = Answers(survey, faces, wall.Value),
        };
    }

    private static string Where(Side side) => side switch
    {
        Side.Roof => "in the roof",
        Side.Front or Side.Rear => $"at the {Calls.Name(side)}",
        _ => $"on the {Calls.Name(side)}",
    };

    private static Dictionary<string, Phrase> Answers(SurveyDesign survey, IReadOnlyList<BoxFace> faces, double wallU)
    {
        var (sources, place) = (survey.Sources, survey.Place);
        var spaces = 1 + survey.Further.Count;
        var panes = survey.Windows.Concat(survey.Further.SelectMany(f => f.Windows)).Sum(w => w.Count);
        var glassiest = faces.Where(f => f.Side is not null).MaxBy(f => f.GlassM2);
        var inside = survey.Devices.Where(d => d.Inside).Sum(d => d.PowerW);
        string[] others =
        [
            .. sources.Inverter.Fitted ? ["inverter"] : Array.Empty<string>(),
            .. sources.Generator.Fitted ? ["generator"] : Array.Empty<string>(),
            .. sources.Shore.PluggedIn ? ["shore"] : Array.Empty<string>(),
        ];
        var bank = sources.Battery.Fitted ? Phrase.Of($"{1000 * sources.Battery.BankKWh:Energy} of battery") : Phrase.Of($"No battery");
        var modules = sources.Modules.Count == 0 ? Phrase.Of($"no modules") : Phrase.Of(
            $"{Calls.Many(sources.Modules.Count, "module")}, {sources.Modules.Count * sources.Modules.RatedW:ElectricPower}");
        return new Dictionary<string, Phrase>
        {
            ["skin"] = Phrase.Of($"{(spaces == 1 ? "One space" : $"{spaces} spaces")}; the walls lose {wallU:ThermalTransmittance}."),
            ["windows"] = panes == 0 ? Phrase.Of($"No windows yet.") : Phrase.Of(
                $"{Calls.Many(panes, "pane")}, {faces.Sum(f => f.GlassM2):Area} of glass; most of it {Where(glassiest!.Side!.Value)}."),
            ["people"] = Phrase.Of($"{Calls.Many(survey.People.Count, "person", "people")}; devices inside give off {inside:ElectricPower} "
                + $"when all are on."),
            ["board"] = Phrase.Of($"{bank}, {modules}{(others.Length == 0 ? "" : ", " + string.Join(", ", others))}."),
            ["place"] = Phrase.Of($"{place.DryBulbC:Temperature} at the hottest hour, {place.NightLowC:Temperature} at night, {place.ElevationM:Length} up."),
            ["fields"] = Phrase.Of($"Type a word of its name."),
        };
    }

    private static Figure WallTransmittance(SurveyDesign survey)
    {
        var (layers, ribs) = RigBox.Skin(survey.Walls, "survey.walls");
        const double inside = 0.13;
        var outside = 1 / SkyLongWave.OutsideFilm(survey.Place.WindMs, 0.90, 293.15);
        var clear = Layers.Transmittance(layers, inside, outside);
        var working = Working.Start().Step("R_se", "1/(4 + 4v + ε·4σT³)", $"wind {survey.Place.WindMs} m/s", outside, "m²K/W", Citations.Films);
        foreach (var layer in layers)
            working.Step("R", layer.Solid is null ? "air gap" : $"d/k of {layer.Solid.Name}",
                layer.Solid is null ? (FormattableString)$"still air" : $"{layer.ThicknessM}/{layer.Solid.ConductivityWmK}", layer.Resistance, "m²K/W",
                Citations.Materials);
        working.Step("U_clear", "1/(R_se + ΣR + R_si)", $"R_si {inside}", clear, "W/m²K", Citations.Films)
            .Step("U", "U_clear + ribs", $"{clear:0.###} + {ribs}", clear + ribs, "W/m²K", Citations.ZoneMethod);
        return new Figure("Walls lose", clear + ribs, QuantityKind.ThermalTransmittance, working.Done());
    }

    /// <summary>At the inverter's end of the cable the short is weaker; the fuse sits at the post.</summary>
    private static double ShortCircuitA(BatteryDesign battery) =>
        new BatteryBank(battery.Chemistry, battery.Cells, battery.BlockAh * battery.Blocks, battery.TemperatureC).ShortCircuitA(0);

    /// <summary>Upright sides of the first space that the sun falls on.</summary>
    private static List<Side> Lit(SurveyDesign survey, SunAngles sun) =>
    [
        .. RigBox.Faces(survey).Where(f => f is { Side: not null, TiltDeg: 90 })
            .Where(f => Direction.Of(sun.ZenithDeg, sun.AzimuthDeg).Along(Direction.Of(f.TiltDeg, survey.HeadingDeg + f.RelativeAzimuthDeg)) > 0)
            .Select(f => f.Side!.Value),
    ];

    private static IEnumerable<Finding> Findings(SurveyDesign survey, double wallU, List<SunHour> path)
    {
        if (wallU > 3)
            yield return Finding.Of(FindingCode.SkinBare, Severity.Note, $"The walls lose {wallU:ThermalTransmittance}: bare metal. Insulation pays first.");
        if (path.Count is 0 or 24)
            yield return Finding.Of(FindingCode.SunPolar, Severity.Note, $"The sun does not {(path.Count == 0 ? "rise" : "set")} on this day at this place.");
        if (survey.Place.DryBulbC > 46)
            yield return Finding.Of(FindingCode.DesignExtreme, Severity.Note,
                $"Many outdoor units end at {46.0:Temperature} to {50.0:Temperature}; "
                + $"the design day reaches {survey.Place.DryBulbC:Temperature}. Check the plate.");
        var sources = survey.Sources;
        if (!sources.Battery.Fitted && !sources.Generator.Fitted && !sources.Shore.PluggedIn && sources.Modules.Count == 0)
            yield return Finding.Of(FindingCode.SourcesNone, Severity.Caution, $"No source is on board: Start and Energy have nothing to run on.");
        if (sources.Battery.Fitted && SourceBuilder.Bank(sources.Battery).JudgeCold() is { } cold)
            yield return cold;
        if (sources.Battery is { Fitted: true, Mixed: true })
            yield return Finding.Of(FindingCode.BatteryMixed, Severity.Stop,
                $"Blocks of different kind, size or age in one bank: the weakest is overcharged and emptied first. Take equal ones.");
        if (sources.Battery.Fitted && MainFuse.Judge(ShortCircuitA(sources.Battery), sources.Battery.FuseInterruptsA) is { } fuse)
            yield return fuse;
        if (sources.Generator is { Fitted: true, AutoStart: true, CoAlarm: false })
            yield return Finding.Of(FindingCode.GenCo, Severity.Stop,
                $"The generator starts by itself without a tried carbon monoxide alarm. Exhaust kills sleepers; fit and try alarms first.");
    }
}
