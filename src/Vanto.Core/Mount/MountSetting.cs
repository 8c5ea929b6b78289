using Vanto.Core.Layout;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Mount;

/// <summary>A mount as it is built, with what is not typed taken from the unit sheet and the layout.</summary>
public sealed record MountSetting
{
    public required MountDesign Design { get; init; }
    public required MountKind Kind { get; init; }
    public required FixingKind How { get; init; }
    public required FixedTo Into { get; init; }
    public required RigBase Base { get; init; }
    public required WallSide Side { get; init; }
    public required double MassKg { get; init; }

    /// <summary>Size of the unit, m.</summary>
    public required double WidthM { get; init; }

    public required double DepthM { get; init; }
    public required double HeightM { get; init; }

    /// <summary>Its feet apart along it and across it, m.</summary>
    public required double FeetWideM { get; init; }

    public required double FeetDeepM { get; init; }

    /// <summary>Its back from the wall, m.</summary>
    public required double OffM { get; init; }

    /// <summary>Middle of the unit from the wall's left edge, seen from inside, m.</summary>
    public required double MiddleM { get; init; }

    /// <summary>Middles of studs or ribs, m from the same edge.</summary>
    public required IReadOnlyList<double> Ribs { get; init; }

    public required double RibWidthM { get; init; }
    public required bool Salt { get; init; }
    public required double ElevationM { get; init; }

    public MetalFigures Metal => MetalFigures.Of(Design.Frame.Metal);
    public ProfileFigures Arm => ProfileFigures.Of(Design.Frame.Arm);
    public ProfileFigures Strut => ProfileFigures.Of(Design.Frame.Strut);

    /// <summary>It stands on the roof.</summary>
    public bool OnRoof => Kind is MountKind.RoofFrame or MountKind.Clamp;

    /// <summary>It hangs on two arms from a wall.</summary>
    public bool OnArms => Kind is MountKind.Braced or MountKind.Plain;

    /// <summary>Put up and taken down by hand, kept by a safety cable: on a railing or in a window.</summary>
    public bool Hangs => Kind is MountKind.Railing or MountKind.Window;

    /// <summary>Height of the centre of gravity above the feet, m.</summary>
    public double HighM => Design.Feet.HighShare * HeightM;

    /// <summary>Rear and front feet from the wall, m.</summary>
    public (double Rear, double Front) FeetAt => (OffM + (DepthM - FeetDeepM) / 2, OffM + (DepthM + FeetDeepM) / 2);

    /// <summary>What the layout's place asks for.</summary>
    public static MountKind For(OutdoorPlace place) => place switch
    {
        OutdoorPlace.Roof => MountKind.RoofFrame,
        OutdoorPlace.Underslung => MountKind.Cradle,
        OutdoorPlace.Deck => MountKind.DeckStand,
        OutdoorPlace.Pad => MountKind.Pad,
        OutdoorPlace.Railing => MountKind.Railing,
        OutdoorPlace.Window => MountKind.Window,
        _ => MountKind.Braced,
    };

    /// <summary>What a fixing of a kind of wall is.</summary>
    public static FixingKind For(FixedTo into) => into switch
    {
        FixedTo.Studs => FixingKind.Lag,
        FixedTo.Masonry => FixingKind.Anchor,
        _ => FixingKind.Through,
    };

    /// <summary>True where a fixing holds in that.</summary>
    public static bool Holds(FixingKind how, FixedTo into) => into switch
    {
        FixedTo.Studs => how is FixingKind.Lag or FixingKind.Through,
        FixedTo.Masonry => how is FixingKind.Anchor or FixingKind.Through,
        FixedTo.Laminate => how == FixingKind.Through,
        FixedTo.Ribs => how is FixingKind.Through or FixingKind.SheetScrew or FixingKind.RivetNut,
        FixedTo.Chassis => how is FixingKind.Through,
        _ => false,
    };

    /// <summary>From the designs.</summary>
    public static MountSetting Of(MountDesign design, LayoutDesign layout, LayoutAssessment known, SurveyDesign survey, AcUnit unit, UnitSheetDesign sheet)
    {
        var outdoor = sheet.Outdoor;
        var kind = !unit.JoinedOnSite ? MountKind.Clamp : design.Frame.Kind == MountKind.ByPlace ? For(layout.Outdoor.Place) : design.Frame.Kind;
        var into = design.Fixing.Into != FixedTo.ByLayout ? design.Fixing.Into : kind switch
        {
            MountKind.Pad => FixedTo.Masonry,
            MountKind.DeckStand => FixedTo.Laminate,
            MountKind.Cradle or MountKind.TowBar => FixedTo.Chassis,
            MountKind.RoofFrame or MountKind.Clamp => LoadCases.On(survey.Kind) == RigBase.Boat ? FixedTo.Laminate : FixedTo.Ribs,
            _ => layout.Wall.Build switch
            {
                WallBuild.Studs => FixedTo.Studs,
                WallBuild.Masonry => FixedTo.Masonry,
                WallBuild.Sandwich => FixedTo.Laminate,
                _ => FixedTo.Ribs,
            },
        };
        var (width, depth) = (outdoor.WidthM ?? 0.8, outdoor.DepthM ?? 0.3);
        return new MountSetting
        {
            Design = design,
            Kind = kind,
            How = design.Fixing.How == FixingKind.ByWall ? For(into) : design.Fixing.How,
            Into = into,
            Base = LoadCases.On(survey.Kind),
            Side = kind is MountKind.RoofFrame or MountKind.Clamp or MountKind.Cradle or MountKind.DeckStand ? WallSide.Front : layout.Wall.Side,
            MassKg = outdoor.MassKg ?? unit.MassKg,
            WidthM = width,
            DepthM = depth,
            HeightM = outdoor.HeightM ?? 0.5,
            FeetWideM = outdoor.FeetAlongM ?? (unit.JoinedOnSite ? 0.65 * width : layout.Opening.WidthM),
            FeetDeepM = outdoor.FeetAcrossM ?? (unit.JoinedOnSite ? 0.9 * depth : layout.Opening.LengthM),
            OffM = layout.Outdoor.OffM,
            MiddleM = known.Outdoor?.X ?? layout.Wall.WidthM / 2 ?? survey.Space.WidthM / 2,
            Ribs = known.Wall?.Ribs ?? [],
            RibWidthM = layout.Wall.RibWidthM,
            Salt = layout.Outdoor.SaltAir,
            ElevationM = survey.Place.ElevationM,
        };
    }
}
