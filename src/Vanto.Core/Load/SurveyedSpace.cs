using Vanto.Core.Physics;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>Makes the heat-balance description of a surveyed rig.</summary>
public static class SurveyedSpace
{
    private static readonly Dictionary<Activity, (double Sensible, double Latent)> Awake = new()
    {
        [Activity.Seated] = (70, 45),
        [Activity.LightWork] = (75, 55),
        [Activity.BenchWork] = (80, 140),
    };

    /// <summary>Describes the space held at a set-point.</summary>
    public static SpaceDescription Build(SurveyDesign survey, double setpointC, double humidityPct)
    {
        var faces = RigBox.Faces(survey);
        return new SpaceDescription
        {
            Weather = RigBox.Weather(survey.Place),
            HeadingDeg = survey.HeadingDeg,
            SetpointC = setpointC,
            SetpointRhPct = humidityPct,
            VolumeM3 = survey.Space.LengthM * survey.Space.WidthM * survey.Space.HeightM,
            FloorM2 = survey.Space.LengthM * survey.Space.WidthM,
            MassJm2K = survey.Space.MassJm2K,
            AirChangesPerHour = survey.Space.AirChangesPerHour,
            WaterC = survey.WaterC,
            GroundC = survey.Place.NightLowC,
            OverheadCover = survey.OverheadCover,
            Faces = [.. faces.Select(f => Face(survey, f))],
            Windows = [.. survey.Windows.Select((w, i) => Window(w, i, faces))],
            Gains = [.. People(survey.People), .. survey.Devices.Where(d => d.Inside).Select(Device)],
        };
    }

    private static OpaqueFace Face(SurveyDesign survey, BoxFace face)
    {
        var (skin, field, kind) = face.Side switch
        {
            Side.Roof => (survey.Roof, "survey.roof", FaceKind.Roof),
            null => (survey.Floor, "survey.floor", FaceKind.Floor),
            _ => (survey.Walls, "survey.walls", FaceKind.Wall),
        };
        var (layers, ribs) = RigBox.Skin(skin, field);
        var far = kind != FaceKind.Floor ? FarSide.OutdoorAir : survey.Underside switch
        {
            Underside.Water => FarSide.Water,
            Underside.Ground => FarSide.Ground,
            _ => FarSide.UnderVehicle,
        };
        return new OpaqueFace(face.Name, kind, face.NetM2, face.TiltDeg, face.RelativeAzimuthDeg, layers, RigBox.Absorptance(skin.Paint, field), ribs, far);
    }

    private static GlassFace Window(WindowDesign window, int index, IReadOnlyList<BoxFace> faces)
    {
        var (glazing, cover) = RigBox.Glass(window, index);
        var face = faces.First(f => f.Side == window.Side);
        return new GlassFace(window.Name, window.WidthM * window.HeightM * window.Count, face.TiltDeg, face.RelativeAzimuthDeg,
            glazing.U, glazing.Shgc, glazing.DoublePane, cover.Interior, cover.Exterior, cover.Resistance);
    }

    private static IEnumerable<HourlyGain> People(PeopleDesign people)
    {
        if (people.Count == 0)
            yield break;
        var (sensible, latent) = Awake[people.Activity];
        var s = new double[24];
        var l = new double[24];
        for (var hour = 0; hour < 24; hour++)
        {
            var awake = Day.Share(hour, people.AwakeFrom, people.AwakeTo);
            var asleep = people.SleepHere ? 1 - awake : 0;
            s[hour] = people.Count * (awake * sensible + asleep * 45);
            l[hour] = people.Count * (awake * latent + asleep * 25);
        }
        yield return new HourlyGain("people", GainKind.People, 0.6, s, l);
    }

    private static HourlyGain Device(DeviceDesign device)
    {
        var watts = new double[24];
        for (var hour = 0; hour < 24; hour++)
            watts[hour] = device.PowerW * Day.Share(hour, device.From, device.To);
        return new HourlyGain(device.Name, GainKind.Appliances, 0.3, watts, new double[24]);
    }
}
