using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Survey;

/// <summary>One face of the rig's box: gross and net of windows, m²; azimuth relative to the nose, degrees.</summary>
public readonly record struct BoxFace(Side? Side, string Name, double GrossM2, double GlassM2, double TiltDeg, double RelativeAzimuthDeg)
{
    /// <summary>Opaque area.</summary>
    public double NetM2 => GrossM2 - GlassM2;
}

/// <summary>The box that a survey describes.</summary>
public static class RigBox
{
    /// <summary>Roof, four sides and floor of the first space; where further ones stand behind it, its rear is a partition.</summary>
    /// <exception cref="InputException">Windows larger than their side.</exception>
    public static IReadOnlyList<BoxFace> Faces(SurveyDesign survey) => Faces(survey.Space, survey.Windows, "survey.windows");

    /// <summary>The same of any space.</summary>
    /// <exception cref="InputException">Windows larger than their side.</exception>
    public static IReadOnlyList<BoxFace> Faces(SpaceDesign space, IReadOnlyList<WindowDesign> windows, string field)
    {
        var (length, width, height) = (space.LengthM, space.WidthM, space.HeightM);
        BoxFace Face(Side side, string name, double gross, double tilt, double azimuth) =>
            new(side, name, gross, windows.Where(w => w.Side == side).Sum(w => w.WidthM * w.HeightM * w.Count), tilt, azimuth);
        BoxFace[] faces =
        [
            Face(Side.Roof, "roof", length * width, 0, 0),
            Face(Side.Left, "left side", length * height, 90, 270),
            Face(Side.Right, "right side", length * height, 90, 90),
            Face(Side.Rear, "rear", width * height, 90, 180),
            Face(Side.Front, "front", width * height, 90, 0),
            new(null, "floor", length * width, 0, 180, 0),
        ];
        var errors = faces.Where(f => f.NetM2 < 0.02 * f.GrossM2)
            .Select(f => InputError.Fault(field, Phrase.Of($"{f.GlassM2:Area}"),
                Phrase.Of($"The windows of the {f.Name} ({f.GlassM2:Area}) do not fit into it ({f.GrossM2:Area}).")))
            .ToList();
        return errors.Count > 0 ? throw new InputException(errors) : faces;
    }

    /// <summary>Layers of a skin from outside to inside, with what its ribs add, W/m²K.</summary>
    /// <exception cref="InputException">An unknown preset or material.</exception>
    public static (IReadOnlyList<Layer> Layers, double RibsWm2K) Skin(SkinDesign skin, string field)
    {
        if (skin.Layers.Count > 0)
            return ([.. skin.Layers.Select((l, i) => new Layer(Materials.Find(l.Material)
                ?? throw Unknown($"{field}.layers[{i}].material", l.Material, Materials.All.Select(m => m.Id)), l.ThicknessM, 0))], 0);
        var preset = SurveyCatalogue.Skins.FirstOrDefault(s => s.Id == skin.Preset)
            ?? throw Unknown($"{field}.preset", skin.Preset, SurveyCatalogue.Skins.Select(s => s.Id));
        var layers = new List<Layer>(preset.Outside);
        if (skin.InsulationM > 0)
            layers.Add(new Layer(
                Materials.Find(skin.Insulation)
                    ?? throw Unknown($"{field}.insulation", skin.Insulation, Materials.All.Where(m => m.Insulation).Select(m => m.Id)),
                skin.InsulationM, 0));
        layers.AddRange(preset.Inside);
        return (layers, skin.Ribs.Measured ? MeasuredRibs(skin, layers, field) : skin.ThermalBreak ? preset.RibsWithBreakWm2K : preset.RibsWm2K);
    }

    /// <summary>What measured ribs add, by the zone method with the films of a wall in summer.</summary>
    private static double MeasuredRibs(SkinDesign skin, List<Layer> layers, string field)
    {
        var bridged = layers.FindIndex(l => l.Solid?.Insulation == true);
        if (bridged < 0)
            return 0;
        var ribs = skin.Ribs;
        if (ribs.WebM >= ribs.FlangeM)
            throw new InputException($"{field}.ribs.webM", Phrase.Of($"{ribs.WebM:SmallLength}"),
                Phrase.Of($"The web of the ribs ({ribs.WebM:SmallLength}) must be thinner than the rib is wide ({ribs.FlangeM:SmallLength})."));
        var metal = ribs.Metal switch { RibMetal.Aluminium => 160.0, RibMetal.Stainless => 16, _ => 50 };
        var (u, clear, _) = Bridging.ZoneMethod(layers, bridged, ribs.FlangeM, ribs.DepthM, ribs.WebM, metal, ribs.SpacingM, 0.13, 0.06);
        return Math.Max(0, u - clear);
    }

    /// <summary>Share of sun taken up by a paint.</summary>
    public static double Absorptance(string paint, string field) =>
        (SurveyCatalogue.Paints.FirstOrDefault(p => p.Id == paint)
            ?? throw Unknown($"{field}.paint", paint, SurveyCatalogue.Paints.Select(p => p.Id))).Absorptance;

    public static (Glazing Glazing, WindowCover Cover) Glass(WindowDesign window, string field) => (
        SurveyCatalogue.Glazings.FirstOrDefault(g => g.Id == window.Glazing)
            ?? throw Unknown($"{field}.glazing", window.Glazing, SurveyCatalogue.Glazings.Select(g => g.Id)),
        SurveyCatalogue.Covers.FirstOrDefault(c => c.Id == window.Cover)
            ?? throw Unknown($"{field}.cover", window.Cover, SurveyCatalogue.Covers.Select(c => c.Id)));

    /// <summary>Design weather of a place.</summary>
    /// <exception cref="InputException">A night warmer than the day.</exception>
    public static DesignWeather Weather(PlaceDesign place)
    {
        if (place.NightLowC > place.DryBulbC)
            throw new InputException("survey.place.nightLowC", Phrase.Of($"{place.NightLowC:Temperature}"),
                Phrase.Of($"The night low ({place.NightLowC:Temperature}) is above the hottest hour ({place.DryBulbC:Temperature})."));
        return new DesignWeather
        {
            LatitudeDeg = place.LatitudeDeg,
            LongitudeDeg = place.LongitudeDeg,
            UtcOffsetH = place.UtcOffsetH,
            ElevationM = place.ElevationM,
            Month = place.Month,
            Day = place.Day,
            DryBulbC = place.DryBulbC,
            DailyRangeK = place.DryBulbC - place.NightLowC,
            HumidityRatioAtPeak = MoistAir.RatioFromRh(place.DryBulbC, place.HumidityPct, Atmosphere.Pressure(place.ElevationM)),
            LinkeTurbidity = place.LinkeTurbidity,
            Albedo = place.Albedo ?? Ground.Of(place.Ground).Albedo,
            WindMs = place.WindMs,
        };
    }

    private static InputException Unknown(string field, string given, IEnumerable<string> choices) => new(InputError.NoChoice(field, given, choices));
}
