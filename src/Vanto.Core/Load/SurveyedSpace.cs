using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>One space of a surveyed rig.</summary>
public sealed record NamedSpace(string Name, bool Cooled, SpaceDescription Space);

/// <summary>Makes the heat-balance description of a surveyed rig.</summary>
public static class SurveyedSpace
{
    private const double DrivingWindMs = 25;
    private const double DrivingAirFactor = 3;
    private const double UncooledRiseK = 5;

    /// <summary>Heat that a cubic metre of outdoor air carries, J/K.</summary>
    private const double AirHeatJm3K = 1200;

    private static readonly Dictionary<Activity, (double Sensible, double Latent)> Persons = new()
    {
        [Activity.Seated] = (70, 45),
        [Activity.LightWork] = (75, 55),
        [Activity.BenchWork] = (80, 140),
        [Activity.Sleeping] = (45, 25),
        [Activity.HeavyWork] = (170, 255),
    };

    /// <summary>
    /// Describes all that is cooled, held at a set-point, as one: with the air held, the heat of several spaces is the sum of theirs.
    /// </summary>
    public static SpaceDescription Build(SurveyDesign survey, double setpointC, double humidityPct)
    {
        var cooled = All(survey, setpointC, humidityPct).Where(s => s.Cooled).Select(s => s.Space).ToList();
        if (cooled.Count == 1)
            return cooled[0];
        var volume = cooled.Sum(s => s.VolumeM3);
        var floor = cooled.Sum(s => s.FloorM2);
        return cooled[0] with
        {
            VolumeM3 = volume,
            FloorM2 = floor,
            MassJm2K = cooled.Sum(s => s.MassJm2K * s.FloorM2) / floor,
            AirChangesPerHour = cooled.Sum(s => s.AirChangesPerHour * s.VolumeM3) / volume,
            FreshAirM3s = cooled.Sum(s => s.FreshAirM3s),
            Faces = [.. cooled.SelectMany(s => s.Faces)],
            Windows = [.. cooled.SelectMany(s => s.Windows)],
            Gains = [.. cooled.SelectMany(s => s.Gains)],
        };
    }

    /// <summary>Every space on its own, from the front to the rear; people, devices and airing belong to the first.</summary>
    public static IReadOnlyList<NamedSpace> All(SurveyDesign survey, double setpointC, double humidityPct)
    {
        var weather = RigBox.Weather(survey.Place) with { WindMs = survey.Motion == Motion.Driving ? DrivingWindMs : survey.Place.WindMs };
        var parts = new List<(string Name, bool Cooled, SpaceDesign Space, SkinDesign Roof, SkinDesign Walls, SkinDesign Floor,
            IReadOnlyList<WindowDesign> Windows, string Field)>
        {
            (FirstName(survey), true, survey.Space, survey.Roof, survey.Walls, survey.Floor, survey.Windows, "survey"),
        };
        for (var i = 0; i < survey.Further.Count; i++)
        {
            var f = survey.Further[i];
            var own = f.OwnSkin;
            parts.Add((f.Name, f.Cooled, f.Space, own ? f.Roof : survey.Roof, own ? f.Walls : survey.Walls, own ? f.Floor : survey.Floor, f.Windows,
                $"survey.further[{i}]"));
        }
        var ground = Ground.Of(survey.Place.Ground);
        var result = new List<NamedSpace>();
        for (var i = 0; i < parts.Count; i++)
        {
            var part = parts[i];
            var prefix = parts.Count == 1 ? "" : part.Name + " ";
            var faces = RigBox.Faces(part.Space, part.Windows, part.Field + ".windows");
            var space = new SpaceDescription
            {
                Weather = weather,
                HeadingDeg = survey.HeadingDeg,
                SetpointC = setpointC,
                SetpointRhPct = humidityPct,
                VolumeM3 = part.Space.LengthM * part.Space.WidthM * part.Space.HeightM,
                FloorM2 = part.Space.LengthM * part.Space.WidthM,
                MassJm2K = part.Space.HeatCapacityJm2K,
                AirChangesPerHour = part.Space.AirChangesPerHour * (survey.Motion == Motion.Driving ? DrivingAirFactor : 1),
                FreshAirM3s = i == 0 ? FreshAir(survey, setpointC) : 0,
                WaterC = survey.WaterC,
                GroundC = survey.Place.NightLowC,
                OverheadCover = survey.OverheadCover,
                RoadHeatKPerWm2 = ground.ShadedKPerWm2,
                GroundHeatKPerWm2 = ground.SunnyKPerWm2,
                OnWater = survey.Place.Ground == GroundKind.Water || survey.Underside == Underside.Water,
                NeighbourRiseK = UncooledRiseK,
                Faces = [.. faces.Select(f => Face(survey, part.Roof, part.Walls, part.Floor, part.Field, f, prefix))
                    .Select(f => Bounded(f, i, parts.ConvertAll(p => p.Cooled)) is { } face ? (f.Side, Face: face) : default)
                    .Where(f => f.Face is not null).SelectMany(f => Adjoining(survey, part.Space, part.Field, f, i == 0))],
                Windows = [.. part.Windows.Select((w, k) => (Window: w, At: $"{part.Field}.windows[{k}]"))
                    .Where(w => part.Space.Adjoining.At(w.Window.Side).Is != Beside.CooledRoom)
                    .Select(w => Window(survey, part.Space, w.Window, w.At, faces, prefix))],
                Gains = i == 0 ? Gains(survey) : [],
                Shades = [.. survey.Shades.Select(s => RigShade.Of(s, survey))],
            };
            result.Add(new NamedSpace(part.Name, part.Cooled, Measured(space, survey.MeasuredLoss)));
        }
        return result;
    }

    /// <summary>All that lets heat in, by one share: skin, glass and gaps; people, devices and fresh air stay.</summary>
    private static SpaceDescription Measured(SpaceDescription space, double? share) => share is not { } s ? space : space with
    {
        AirChangesPerHour = space.AirChangesPerHour * s,
        Faces = [.. space.Faces.Select(f => f with { AreaM2 = f.AreaM2 * s })],
        Windows = [.. space.Windows.Select(w => w with { AreaM2 = w.AreaM2 * s })],
    };

    private static string FirstName(SurveyDesign survey) => survey.FirstSpaceName.Trim() is { Length: > 0 } name ? name : "first space";

    /// <summary>A partition to a cooled space lets no heat through; to one that is not cooled it is a wall without sun.</summary>
    private static OpaqueFace? Bounded((Side? Side, OpaqueFace Face) face, int index, List<bool> cooled)
    {
        var beside = face.Side switch { Side.Front when index > 0 => index - 1, Side.Rear when index < cooled.Count - 1 => index + 1, _ => -1 };
        return beside < 0 ? face.Face : cooled[beside] ? null : face.Face with { FarSide = FarSide.Neighbour, ExtraTransmittance = 0 };
    }

    private static (Side? Side, OpaqueFace Face) Face(SurveyDesign survey, SkinDesign roof, SkinDesign walls, SkinDesign floor, string at, BoxFace face,
        string prefix)
    {
        var (skin, field, kind) = face.Side switch
        {
            Side.Roof => (roof, at + ".roof", FaceKind.Roof),
            null => (floor, at + ".floor", FaceKind.Floor),
            _ => (walls, at + ".walls", FaceKind.Wall),
        };
        var (layers, ribs) = RigBox.Skin(skin, field);
        var far = kind != FaceKind.Floor ? FarSide.OutdoorAir : survey.Underside switch
        {
            Underside.Water => FarSide.Water,
            Underside.Ground => FarSide.Ground,
            _ => FarSide.UnderVehicle,
        };
        return (face.Side, new OpaqueFace
        {
            Name = prefix + face.Name,
            Kind = kind,
            AreaM2 = face.NetM2,
            TiltDeg = face.TiltDeg,
            RelativeAzimuthDeg = face.RelativeAzimuthDeg,
            Layers = layers,
            Absorptance = RigBox.Absorptance(skin.Paint, field),
            ExtraTransmittance = ribs,
            FarSide = far,
        });
    }

    /// <summary>A face with what lies behind it: nothing of it where that is a cooled room, two parts where it stands in the water.</summary>
    private static IEnumerable<OpaqueFace> Adjoining(SurveyDesign survey, SpaceDesign space, string field, (Side? Side, OpaqueFace Face) at, bool first)
    {
        var face = at.Face;
        if (at.Side is not { } side || face.FarSide != FarSide.OutdoorAir)
        {
            yield return face;
            yield break;
        }
        var beside = space.Adjoining.At(side);
        if (beside.Is != Beside.Outdoors)
        {
            if (beside.Is != Beside.CooledRoom)
                yield return face with { FarSide = Far(beside.Is), RoomC = beside.RoomC };
            yield break;
        }
        if (side == Side.Roof)
        {
            if (space.Attic.Above)
                yield return face with
                {
                    FarSide = FarSide.Attic,
                    Attic = new Attic(RigBox.Absorptance(space.Attic.Paint, field + ".space.attic"),
                        AtticVentWm2K(space.Attic.AirChangesPerHour, space.Attic.HeightM)),
                };
            else
                yield return first ? face with { Modules = ModulesOver(survey, face) } : face;
            yield break;
        }
        var wet = survey.Underside == Underside.Water ? Math.Min(survey.WaterlineM, space.HeightM) / space.HeightM : 0;
        if (wet > 0)
            yield return face with { Name = face.Name + ", under water", AreaM2 = face.AreaM2 * wet, FarSide = FarSide.Water };
        if (wet < 1)
            yield return face with { AreaM2 = face.AreaM2 * (1 - wet) };
    }

    /// <summary>Heat that the air change of an attic carries off for each square metre and kelvin.</summary>
    public static double AtticVentWm2K(double airChangesPerHour, double heightM) => airChangesPerHour * heightM / 3600 * AirHeatJm3K;

    private static FarSide Far(Beside beside) => beside switch
    {
        Beside.Room => FarSide.Room,
        Beside.ShadedAir => FarSide.ShadedAir,
        Beside.Earth => FarSide.Ground,
        _ => FarSide.OutdoorAir,
    };

    /// <summary>What the rig's modules shade of its roof; glued ones pass their heat on instead of shading.</summary>
    private static (double Share, double RiseKPerWm2) ModulesOver(SurveyDesign survey, OpaqueFace roof)
    {
        var modules = survey.Sources.Modules;
        return modules.Count == 0 || !modules.ShadesRoof ? default
            : (Math.Min(1, modules.Count * modules.LengthM * modules.WidthM / roof.AreaM2), modules.CellRise(survey.Place.WindMs));
    }

    private static GlassFace Window(SurveyDesign survey, SpaceDesign space, WindowDesign window, string field, IReadOnlyList<BoxFace> faces, string prefix)
    {
        var beside = space.Adjoining.At(window.Side);
        var (glazing, cover) = RigBox.Glass(window, field);
        var face = faces.First(f => f.Side == window.Side);
        return new GlassFace
        {
            Name = prefix + window.Name,
            AreaM2 = window.WidthM * window.HeightM * window.Count,
            TiltDeg = WindowTilt.Of(window, survey.Kind),
            RelativeAzimuthDeg = face.RelativeAzimuthDeg,
            FarSide = Far(beside.Is),
            RoomC = beside.RoomC,
            WindowU = glazing.U,
            Shgc = glazing.Shgc,
            DoublePane = glazing.DoublePane,
            InteriorShade = cover.Interior,
            ExteriorShade = cover.Exterior,
            CoverR = cover.Resistance,
        };
    }

    /// <summary>Air through the gap round a unit in a window, m³/s, at the hottest hour.</summary>
    internal static double Gap(SurveyDesign survey, double setpointC) =>
        AirExchange.GapM3s(survey.Space.GapM2, survey.Place.DryBulbC - setpointC, survey.Place.WindMs);

    /// <summary>Fan, doors and a gap together, m³/s; doors and gap at the hottest hour.</summary>
    private static double FreshAir(SurveyDesign survey, double setpointC)
    {
        var volume = survey.Space.LengthM * survey.Space.WidthM * survey.Space.HeightM;
        return survey.Airing.FanM3s + Gap(survey, setpointC) + survey.Airing.Doors.Sum(d =>
            AirExchange.Door(volume, d.WidthM, d.HeightM, setpointC, survey.Place.DryBulbC, d.SecondsEach).ChangedM3 * d.OpeningsPerHour / 3600);
    }

    private static List<HourlyGain> Gains(SurveyDesign survey)
    {
        var gains = new List<HourlyGain>();
        var people = survey.People;
        if (people.Count > 0)
        {
            gains.Add(
                ByHour("people", GainKind.People, GainShares.PeopleRadiant,
                    h => Times(Persons[people.Activity], people.Count * Day.Share(h, people.AwakeFrom, people.AwakeTo))));
            if (people.SleepHere)
                gains.Add(ByHour("sleepers", GainKind.People, GainShares.PeopleRadiant,
                    h => Times(Persons[Activity.Sleeping], people.Count * (1 - Day.Share(h, people.AwakeFrom, people.AwakeTo)))));
        }
        gains.AddRange(survey.Occupants.Select(
            o => ByHour(o.Kind == OccupantKind.People ? "visitors" : "animals", GainKind.People, GainShares.PeopleRadiant,
                h => Times(Occupant(o), o.Count * Day.Share(h, o.From, o.To)))));
        gains.AddRange(survey.Devices.Where(d => d.Inside).Select(
            d => ByHour(d.Name, GainKind.Appliances, GainShares.ElectronicsRadiant, h => (d.PowerW * Day.Share(h, d.From, d.To), 0))));
        gains.AddRange(
            survey.Cooking.Select(c => ByHour(c.Name, GainKind.Appliances, GainShares.CookingRadiant, h => Times(Stove(c), Day.Share(h, c.From, c.To)))));
        if (survey.Sources is { Inverter: { Fitted: true, Inside: true } inverter, Battery.Fitted: true })
        {
            var losses = InverterLosses.Model(inverter);
            gains.Add(ByHour("inverter", GainKind.Appliances, GainShares.ElectronicsRadiant, h =>
            {
                var load = inverter.UnitW + survey.Devices.Where(d => d.Supply == DeviceSupply.Ac).Sum(d => d.PowerW * Day.Share(h, d.From, d.To));
                return (losses.DcPower(load) - load, 0);
            }));
        }
        return gains;
    }

    private static (double Sensible, double Latent) Occupant(OccupantDesign o) =>
        o.Kind == OccupantKind.People
            ? Persons[o.Activity]
            : (GainShares.AnimalSensible * AirExchange.AnimalW(o.MassKg), (1 - GainShares.AnimalSensible) * AirExchange.AnimalW(o.MassKg));

    private static (double Sensible, double Latent) Stove(CookingDesign c)
    {
        var stays = c.PowerW * (c.Hood ? GainShares.UnderHood : 1);
        var damp = c.Kind == StoveKind.Propane ? AirExchange.PropaneLatent : GainShares.CookingLatent;
        return (stays * (1 - damp), stays * damp);
    }

    private static (double Sensible, double Latent) Times((double Sensible, double Latent) gain, double factor) =>
        (gain.Sensible * factor, gain.Latent * factor);

    private static HourlyGain ByHour(string name, GainKind kind, double radiant, Func<int, (double Sensible, double Latent)> watts)
    {
        var (sensible, latent) = (new double[24], new double[24]);
        for (var h = 0; h < 24; h++)
            (sensible[h], latent[h]) = watts(h);
        return new HourlyGain(name, kind, radiant, sensible, latent);
    }
}
