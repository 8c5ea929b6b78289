using Vanto.Core.Findings;
using Vanto.Core.Layout;
using Vanto.Core.Mount;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Wiring;

/// <summary>What wiring takes from the stations before: the unit, its sheet, the sources, the way.</summary>
public sealed record WiringSetting
{
    /// <summary>Cable goes on beyond the pipe's ends by so much at each, m; common practice.</summary>
    private const double EndM = 0.3;

    public required WiringDesign Design { get; init; }
    public required SurveyDesign Survey { get; init; }
    public required LayoutDesign Layout { get; init; }
    public required AcUnit Unit { get; init; }
    public required UnitSheetDesign Sheet { get; init; }
    public required SourcesDesign Sources { get; init; }
    public required RigBase Base { get; init; }

    /// <summary>Rules of the mains side.</summary>
    public required RuleBook Rules { get; init; }

    /// <summary>Rules of the battery side.</summary>
    public required RuleBook DcRules { get; init; }

    /// <summary>One way from the board to the unit, m.</summary>
    public required double WayM { get; init; }

    /// <summary>Between head and outdoor unit, m; null where the unit is one piece.</summary>
    public required double? BetweenM { get; init; }

    /// <summary>Current at the start, A.</summary>
    public required double StartA { get; init; }

    /// <summary>A pump's alarm is in the cable between.</summary>
    public required bool Pump { get; init; }

    /// <summary>The alarm is wired to stop the unit, as Layout says.</summary>
    public required bool AlarmWired { get; init; }

    /// <summary>A soft starter is added.</summary>
    public required bool SoftStarter { get; init; }

    /// <summary>Coldest air that the modules see, °C.</summary>
    public required double ColdestC { get; init; }

    /// <summary>Metric sizes and devices on the mains side.</summary>
    public bool Metric => Rules is RuleBook.Iec or RuleBook.MarineIso;

    /// <summary>Plate and estimate of the unit's circuit.</summary>
    public CircuitNeed Need => Nameplate.Of(Unit);

    /// <summary>A battery and an inverter are there.</summary>
    public bool HasInverter => Sources is { Battery.Fitted: true, Inverter.Fitted: true };

    /// <summary>Two live conductors feed the unit.</summary>
    public bool TwoLives => !Unit.IsDc && !Metric && Unit.SupplyVoltageV >= 200;

    /// <summary>The same with another design.</summary>
    public WiringSetting With(WiringDesign design) => this with { Design = design };

    /// <summary>The same with other sources.</summary>
    public WiringSetting With(SourcesDesign sources) => this with { Sources = sources };

    /// <summary>An edit of the sources, which Survey keeps.</summary>
    public DesignEdit EditSources(Func<SourcesDesign, SourcesDesign> change) => DesignEdit.Of(Survey, s => s with { Sources = change(s.Sources) });

    /// <summary>The alarm wired, which Layout keeps.</summary>
    public Remedy AlarmRemedy() => new(Phrase.Of($"wire the alarm"), Phrase.Of($"it stops the unit"),
        DesignEdit.Of(Layout, l => l with { Drain = l.Drain with { AlarmWired = true } }));

    /// <summary>Protection in words; marking for air conditioners is a North American thing.</summary>
    public string DeviceName => Calls.Name(Metric && Design.Branch.Device == DeviceKind.HacrBreaker ? DeviceKind.Breaker : Design.Branch.Device);

    /// <summary>Poles that open together: typed, else as many as there are lives.</summary>
    public int Poles => Design.Branch.Poles ?? (TwoLives ? 2 : 1);

    /// <summary>Residual-current protection that the rules ask for; none where they do not.</summary>
    public ResidualKind AskedResidual => Unit.IsDc || !(Metric || Base == RigBase.Boat || Design.Branch.Plugged) ? ResidualKind.None
        : Rules == RuleBook.MarineAmerican ? ResidualKind.Inlet : Metric ? ResidualKind.TypeFb : ResidualKind.People;

    /// <summary>What is or will be fitted.</summary>
    public ResidualKind Residual => Design.Branch.Residual == ResidualKind.AsAsked ? AskedResidual : Design.Branch.Residual;

    /// <summary>From the job.</summary>
    public static WiringSetting Of(WiringDesign design, SurveyDesign survey, UnitDesign unitDesign, StartDesign start, LayoutDesign layout,
        LayoutAssessment placed, AcUnit unit)
    {
        var rigBase = LoadCases.On(survey.Kind);
        var hz50 = unit.IsDc ? survey.Sources.Inverter.OutputV >= 200 : unit.FrequencyHz < 55;
        var rules = design.Rules != RuleBook.ByRig ? design.Rules
            : rigBase == RigBase.Boat ? hz50 ? RuleBook.MarineIso : RuleBook.MarineAmerican
            : hz50 ? RuleBook.Iec : RuleBook.NorthAmerica;
        var mains = rules == RuleBook.VehicleDc ? hz50 ? RuleBook.Iec : RuleBook.NorthAmerica : rules;
        var dc = rules == RuleBook.NorthAmerica && rigBase == RigBase.Vehicle ? RuleBook.VehicleDc : rules;
        var pipe = placed.Ways.Count > 0 ? placed.Ways[0].LengthM : (double?)null;
        var soft = start.Remedy == StartRemedy.SoftStarter && unit.SingleSpeed;
        var need = Nameplate.Of(unit);
        return new WiringSetting
        {
            Design = design,
            Survey = survey,
            Layout = layout,
            Unit = unit,
            Sheet = UnitSheets.Known(unitDesign, unit),
            Sources = survey.Sources,
            Base = rigBase,
            Rules = mains,
            DcRules = dc,
            WayM = design.Branch.RouteM ?? design.Branch.BoardM + (pipe ?? 0),
            BetweenM = unit.JoinedOnSite && pipe is { } m ? m + 2 * EndM : null,
            StartA = unit.SingleSpeed ? unit.LockedRotorA * (soft ? 1 - start.Reduction : 1) : need.MostA,
            Pump = design.Between.Pump || layout.Drain.By == DrainBy.Pump && unit.JoinedOnSite,
            AlarmWired = layout.Drain.AlarmWired,
            SoftStarter = soft || unitDesign.Work == WorkKind.SoftStarter,
            ColdestC = Math.Max(-40, survey.Climate.WinterC),
        };
    }
}
