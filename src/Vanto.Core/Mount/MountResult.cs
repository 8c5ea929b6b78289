using Vanto.Core.Findings;
using Vanto.Core.Stations;

namespace Vanto.Core.Mount;

/// <summary>One case as it is shown.</summary>
public sealed record CaseRow(string Name, double AheadN, double SidewaysN, double DownN, double Factor);

/// <summary>The mount from the side, m: for the picture.</summary>
public sealed record MountView
{
    public required MountKind Kind { get; init; }
    public required double UnitWidthM { get; init; }
    public required double UnitDepthM { get; init; }
    public required double UnitHeightM { get; init; }
    public required double OffM { get; init; }
    public required double RearFootM { get; init; }
    public required double FrontFootM { get; init; }
    public required double FeetWideM { get; init; }
    public required double HighM { get; init; }
    public required double ArmM { get; init; }
    public required double ArmHighM { get; init; }
    public required double StrutOutM { get; init; }
    public required double StrutDownM { get; init; }
    public required double StrutHighM { get; init; }
    public required double BaseDeepM { get; init; }
    public required double BaseWideM { get; init; }
    public required double StandM { get; init; }

    /// <summary>The force in the governing case with its factor, N: out, up.</summary>
    public required double ForceOutN { get; init; }
    public required double ForceUpN { get; init; }
    public required double ForceSideN { get; init; }
    public required string ForceCase { get; init; }

    /// <summary>Out of the wall at the arm of one bracket, N, where it hangs on arms.</summary>
    public required double PullN { get; init; }
}

/// <summary>Where the columns of a bracket land on studs or ribs, m from the wall's left edge.</summary>
/// <param name="Columns">Where they would be, moved.</param>
/// <param name="Fit">How they land.</param>
/// <param name="Members">Middles of studs or ribs.</param>
/// <param name="MemberM">Width of one.</param>
/// <param name="Spreader">A rail across two members, where one is used; forces of one bracket four times the weight.</param>
public sealed record LandingView(IReadOnlyList<double> Columns, StudFit Fit, IReadOnlyList<double> Members, double MemberM, SpreaderRail? Spreader);

/// <summary>Axles with the unit on, kg.</summary>
public sealed record AxlesView(double? FrontKg, double? RearKg, double? FrontMayKg, double? RearMayKg, double FrontAddsKg, double RearAddsKg,
    double TipsBeforeG, double TipsAfterG);

/// <summary>Result of the Mount station.</summary>
public sealed record MountAssessment(Verdict Verdict, IReadOnlyList<Finding> Findings, IReadOnlyList<Figure> Figures) : IStationResult
{
    public required MountView View { get; init; }
    public required FixingKind How { get; init; }
    public required FixedTo Into { get; init; }
    public required RigBase Base { get; init; }
    public required double MassKg { get; init; }
    public IReadOnlyList<CaseRow> Cases { get; init; } = [];

    /// <summary>Every part with the case that asks most of it, the most used first.</summary>
    public IReadOnlyList<MountPart> Parts { get; init; } = [];

    public required LightestMount Lightest { get; init; }

    /// <summary>Builds it of the lightest that passes; nothing where that is how it is built, or where none passes.</summary>
    public Remedy? TakeLightest { get; init; }

    public required Vibration Vibration { get; init; }
    public LandingView? Landing { get; init; }
    public required FastenerBears Bears { get; init; }
    public Slab? Slab { get; init; }
    public AxlesView? Axles { get; init; }
    public double? HeightM { get; init; }
    public required Workshop Workshop { get; init; }

    /// <summary>Steps of putting it up and of taking it down, where it is done again and again.</summary>
    public IReadOnlyList<string> PutUp { get; init; } = [];

    public IReadOnlyList<string> TakeDown { get; init; } = [];

    /// <inheritdoc />
    public IReadOnlyDictionary<string, Phrase> Answers { get; init; } = new Dictionary<string, Phrase>();
}
