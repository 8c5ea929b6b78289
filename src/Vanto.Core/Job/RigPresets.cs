using Vanto.Core.Survey;

namespace Vanto.Core.Job;

/// <summary>A sensible rig of each kind to begin from.</summary>
public static class RigPresets
{
    public static JobDesign New(RigKind kind, string name)
    {
        var blank = new JobDesign { Name = name };
        SurveyDesign Skin(string wall, string floor, string insulation, double thickness, double floorThickness, double length, double width, double height,
            double air, double mass) => blank.Survey with
            {
                Kind = kind,
                Space = new SpaceDesign { LengthM = length, WidthM = width, HeightM = height, AirChangesPerHour = air, HeatCapacityJm2K = mass },
                Roof = new SkinDesign { Preset = wall, Insulation = insulation, InsulationM = thickness },
                Walls = new SkinDesign { Preset = wall, Insulation = insulation, InsulationM = thickness },
                Floor = new SkinDesign { Preset = floor, Insulation = "xps", InsulationM = floorThickness },
            };
        return blank with
        {
            Survey = kind switch
            {
                RigKind.Rv => Skin("rv-sandwich", "van-floor", "xps", 0.030, 0.030, 6.2, 2.1, 1.95, 1.2, 45000),
                RigKind.Bus => Skin("bus-steel", "bus-floor", "pu-closed", 0.030, 0.025, 9.5, 2.4, 1.95, 1.0, 45000),
                RigKind.Boat => Skin("grp-sandwich", "hull", "pe-foam", 0, 0, 7.5, 2.6, 1.8, 2.0, 70000) with
                {
                    Underside = Underside.Water,
                    Place = blank.Survey.Place with { Ground = GroundKind.Water }
                },
                RigKind.Trailer => Skin("rv-sandwich", "van-floor", "xps", 0.025, 0.025, 4.5, 2.0, 1.9, 1.2, 40000),
                RigKind.Cabin => Skin("timber", "timber-floor", "glass-wool", 0.090, 0.090, 5, 4, 2.4, 0.5, 60000),
                RigKind.Workshop => Skin("timber", "slab", "glass-wool", 0.060, 0, 6, 4, 2.6, 0.8, 60000) with { Underside = Underside.Ground },
                RigKind.Container => Skin("container", "timber-floor", "pir", 0.060, 0.040, 5.9, 2.35, 2.35, 0.8, 40000),
                _ => Skin("van-steel", "van-floor", "pe-foam", 0.025, 0.020, 5.4, 1.9, 1.9, 1.0, 40000),
            },
        };
    }
}
