using Vanto.Core.Findings;
using Vanto.Core.Stations;

namespace Vanto.Core.Layout;

/// <summary>A rectangle on the wall, seen from inside, m.</summary>
public sealed record WallArea(string Name, double Left, double Low, double Right, double High);

/// <summary>A thing on, in or behind the wall as it is drawn.</summary>
public sealed record WallThing(WallArea Area, ThingKind Kind, ThingPlace Place);

/// <summary>The hole's middle from a corner that both sides have, m: right and up are positive.</summary>
/// <param name="Corner">Which corner, in words.</param>
/// <param name="CornerX">Where it is, seen from inside.</param>
/// <param name="CornerY">Its height.</param>
/// <param name="RightM">From it, seen from inside.</param>
/// <param name="UpM">From it, inside.</param>
/// <param name="OutsideRightM">From it, seen from outside.</param>
/// <param name="OutsideUpM">From it, outside.</param>
public sealed record SetOut(string Corner, double CornerX, double CornerY, double RightM, double UpM, double OutsideRightM, double OutsideUpM);

/// <summary>How near the drill comes to a thing, m.</summary>
public sealed record DrillMeets(string Name, double ClearM, double NeedM);

/// <summary>A place that the hole may have under this head.</summary>
public sealed record WallExit(HeadExit Exit, string Name, double X, double UpM);

/// <summary>The wall from inside and outside.</summary>
public sealed record WallView
{
    public required double WidthM { get; init; }
    public required double CeilingLeftM { get; init; }
    public required double CeilingRightM { get; init; }
    public required IReadOnlyList<double> Ribs { get; init; }
    public required double RibWidthM { get; init; }
    public required WallArea Head { get; init; }
    public required IReadOnlyList<WallArea> Screws { get; init; }
    public required double HoleX { get; init; }

    /// <summary>Where the hole is for each way that the pipes may leave the head.</summary>
    public required IReadOnlyList<WallExit> Exits { get; init; }

    public required double HoleInsideM { get; init; }
    public required double HoleOutsideM { get; init; }
    public required double HoleM { get; init; }
    public required double FallDeg { get; init; }
    public required double SleeveM { get; init; }

    /// <summary>Where the head's lower left corner may be.</summary>
    public required IReadOnlyList<WallArea> Allowed { get; init; }

    /// <summary>Where it may not be, and why.</summary>
    public required IReadOnlyList<WallArea> Forbidden { get; init; }

    public required IReadOnlyList<WallThing> Things { get; init; }
    public required IReadOnlyList<HeadPlace> Best { get; init; }
    public required IReadOnlyList<Refusal> Refused { get; init; }
    public required IReadOnlyList<SetOut> SetOut { get; init; }

    /// <summary>How far off the mark outside may be with tape and pilot, m.</summary>
    public required double UncertainM { get; init; }

    public required IReadOnlyList<DrillMeets> Meets { get; init; }
    public required int RibsHit { get; init; }
    public required double ScoreShare { get; init; }
}

/// <summary>The bundle and where its slack goes.</summary>
public sealed record BundleView(double BundleM, double HoleM, double SpareM, double RadiusM, SlackStowage? Slack);

/// <summary>The drain as drawn.</summary>
/// <param name="Points">Tray first.</param>
/// <param name="Along">Distance along it of each point, m.</param>
/// <param name="FallsPct">Of each piece; nothing where it drops straight.</param>
/// <param name="WorstPct">Least fall as parked; nothing where every piece drops.</param>
/// <param name="MarginM">How much lower than the tray everything is.</param>
/// <param name="Traps">Where water stands.</param>
/// <param name="RateLh">Water at the worst hour, with a quarter to spare.</param>
/// <param name="PumpLh">What a pump carries away; nothing without one.</param>
public sealed record DrainView(IReadOnlyList<RoutePoint> Points, IReadOnlyList<double> Along, IReadOnlyList<double?> FallsPct, double? WorstPct,
    double MarginM, IReadOnlyList<DrainTrap> Traps, double RateLh, double? PumpLh);

/// <summary>Sound at a place.</summary>
public sealed record SoundRow(string Where, double Db, double LimitDb);

/// <summary>The outdoor unit as drawn.</summary>
public sealed record OutdoorView(double X, double Y, double BaseM, double YawDeg, double WidthM, double DepthM, double HeightM, RoutePoint Port,
    IReadOnlyList<FaceRoom> Faces);

/// <summary>Result of the Layout station. Wall, outdoor unit, pipe, drain are empty for a unit on the roof; the opening for a split.</summary>
public sealed record LayoutAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures) : IStationResult
{
    public WallView? Wall { get; init; }
    public OutdoorView? Outdoor { get; init; }
    public IReadOnlyList<LineWay> Ways { get; init; } = [];
    public BundleView? Bundle { get; init; }
    public DrainView? Drain { get; init; }
    public IReadOnlyList<SoundRow> Sound { get; init; } = [];
    public RooftopOpening? Opening { get; init; }

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
