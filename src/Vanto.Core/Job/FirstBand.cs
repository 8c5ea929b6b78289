using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Job;

/// <summary>Three questions at the quote: what it is and how long, where it stands on its hottest day, what is on board.</summary>
public sealed record QuickAnswers : DesignPart
{
    [Ask("Kind of rig")] public RigKind Kind { get; init; } = RigKind.Van;
    [Field(QuantityKind.Length, 1, 20, Label = "Length inside", Help = "of what is to be cooled, lining to lining")] public double LengthM { get; init; } = 5.4;
    [Ask("Place")] public string Place { get; init; } = "";
    [Field(QuantityKind.Temperature, 20, 55, Label = "Hottest hour there")] public double HottestC { get; init; } = 36;
    [Field(QuantityKind.Energy, 0, 200000, Label = "Battery", Help = "0 where there is none")] public double BatteryWh { get; init; } = 5000;
    [Field(QuantityKind.ElectricPower, 0, 30000, Label = "Inverter", Help = "0 where there is none")] public double InverterW { get; init; } = 2000;
    [Field(QuantityKind.ElectricPower, 0, 20000, Label = "Solar modules together", Help = "0 where there are none")] public double SolarW { get; init; } = 400;
}

/// <summary>What three answers come to: a band, since nothing of the skin and the glass is known yet. Every corner is a whole assessment.</summary>
public static class FirstBand
{
    /// <summary>Nights cool down by so much after a hot day; common practice.</summary>
    private const double NightDropK = 14;

    /// <summary>A module of a usual size, W; common practice.</summary>
    private const double ModuleW = 400;

    /// <summary>Inverters above this stand on 24 V; common practice.</summary>
    private const double LowVoltageUpToW = 1500;

    /// <summary>Ampere-hours of one block at most; a larger bank has more of them.</summary>
    private const double LargestBlockAh = 300;

    /// <summary>A corner of what is not known: the skin's insulation against what is usual of the kind, glass against the floor; common practice.</summary>
    private sealed record Corner(string Name, double Insulation, double GlassShare, string Cover, string Paint, double AirChanges);

    private static readonly Corner Kind = new("well insulated, little glass and covered, white", 1.5, 0.05, "quilted", "white", 0.6);
    private static readonly Corner Hard = new("thinly insulated, much bare glass, mid-grey", 0.6, 0.20, "none", "mid-grey", 1.5);

    /// <summary>The rig that the answers describe, all else as is usual of its kind; what Survey goes on from.</summary>
    /// <param name="answers">The answers.</param>
    /// <param name="name">Its name.</param>
    /// <exception cref="InputException">A battery, an inverter or modules smaller than any that Survey knows.</exception>
    public static JobDesign Design(QuickAnswers answers, string name)
    {
        var few = TooSmall(answers).ToList();
        if (few.Count > 0)
            throw new InputException(few);
        var rig = RigPresets.New(answers.Kind, name);
        var volts = Volts(answers);
        var blocks = Math.Clamp((int)Math.Ceiling(answers.BatteryWh / volts / LargestBlockAh), 1, 40);
        var modules = (int)Math.Round(answers.SolarW / ModuleW, MidpointRounding.AwayFromZero);
        return rig with
        {
            Survey = rig.Survey with
            {
                Space = rig.Survey.Space with { LengthM = answers.LengthM },
                Place = rig.Survey.Place with { Name = answers.Place, DryBulbC = answers.HottestC, NightLowC = answers.HottestC - NightDropK },
                Sources = rig.Survey.Sources with
                {
                    Battery = rig.Survey.Sources.Battery with
                    {
                        Fitted = answers.BatteryWh > 0,
                        NominalV = volts,
                        Blocks = blocks,
                        BlockAh = answers.BatteryWh > 0 ? answers.BatteryWh / volts / blocks : rig.Survey.Sources.Battery.BlockAh,
                    },
                    Inverter = rig.Survey.Sources.Inverter with
                    {
                        Fitted = answers.InverterW > 0,
                        RatedW = answers.InverterW > 0 ? answers.InverterW : rig.Survey.Sources.Inverter.RatedW,
                    },
                    Modules = rig.Survey.Sources.Modules with
                    {
                        Count = answers.SolarW <= 0 ? 0 : Math.Clamp(modules, 1, ModulesDesign.Most),
                        RatedW = answers.SolarW <= 0 ? rig.Survey.Sources.Modules.RatedW : answers.SolarW / Math.Clamp(modules, 1, ModulesDesign.Most),
                    },
                },
            },
        };
    }

    /// <summary>Between nothing and the least that Survey knows there is no rig to begin with.</summary>
    private static IEnumerable<InputError> TooSmall(QuickAnswers answers)
    {
        foreach (var (field, called, kind, given, least) in new[]
        {
            ("batteryWh", "Battery", QuantityKind.Energy, answers.BatteryWh, Volts(answers) * Least("/survey/sources/battery/blockAh")),
            ("inverterW", "Inverter", QuantityKind.ElectricPower, answers.InverterW, Least("/survey/sources/inverter/ratedW")),
            ("solarW", "Solar modules together", QuantityKind.ElectricPower, answers.SolarW, Least("/survey/sources/modules/ratedW")),
        })
            if (given > 0 && given < least)
            {
                var got = new Measure(given, kind);
                yield return InputError.Fault(field, Phrase.Of(got),
                    Phrase.Exactly($"{called} must be 0 or at least {{0}}; got {{1}}.", new(least, kind), got));
            }
    }

    private static double Least(string path) => JobFile.Fields.First(f => f.Path == path).Min ?? 0;

    private static double Volts(QuickAnswers answers) => answers.InverterW > LowVoltageUpToW ? 24 : 12;

    /// <summary>Capacity, start and night of three answers, as a band.</summary>
    [Calculator("first-band", "A first band", "Which capacity, whether it starts, whether the night holds, from three answers at the quote",
        CitationIds = [nameof(Citations.HeatBalance), nameof(Citations.CapacityBand), nameof(Citations.EnergyBalance), nameof(Citations.Trade)])]
    public static CalculationResult Of(QuickAnswers answers)
    {
        var rig = Design(answers, "quote");
        var (kind, hard) = (In(rig, Kind), In(rig, Hard));
        var needed = new[] { kind, hard }.Select(r => Assessor.Assess(r).Unit!.RequiredW).ToArray();
        var result = new ResultBuilder();
        foreach (var (corner, watts, label) in new[] { (Kind, needed[0], "Capacity, at least"), (Hard, needed[1], "Capacity, at most") })
            result.Step("Q_nom", label, $"nominal capacity needed, {corner.Name}", $"{answers.LengthM} m, {answers.HottestC} °C", watts, QuantityKind.Power,
                Citations.CapacityBand);
        var split = Smallest(AcKind.MiniSplitInverter, needed[1]);
        var roof = Smallest(AcKind.RooftopSingleSpeed, needed[1]);
        foreach (var (unit, label) in new[] { (split, "Mini-split to think of"), (roof, "Rooftop to think of") })
            result.Words("unit", label, unit.RatedCapacityW >= SizeBand.Begins * needed[1] ? unit.Name
                : unit.RatedCapacityW >= SizeBand.Begins * needed[0] ? $"{unit.Name}, too small for the upper end of the band"
                : $"{unit.Name} is too small: two of them, or another voltage");
        if (answers.InverterW > 0 && answers.BatteryWh > 0)
        {
            result.Words("start", "The mini-split starts", Starts(hard, split));
            result.Words("start", "The rooftop starts", Starts(hard, roof));
        }
        else
            result.Words("start", "It starts", "on shore or a generator only: no battery and inverter are on board");
        if (answers.BatteryWh > 0 && answers.InverterW > 0)
            foreach (var (corner, design, label) in new[] { (Hard, hard, "Night held, at least"), (Kind, kind, "Night held, at most") })
                if (Assessor.Assess(With(design, split)).Energy is { } night)
                    result.Step("h", label, $"hours of the night's {night.WindowHours:0} held, {corner.Name}",
                        $"{answers.BatteryWh:0} Wh, {answers.SolarW:0} W",
                        night.HeldHours, QuantityKind.Hours, Citations.EnergyBalance);
        return result.Done();
    }

    private static JobDesign With(JobDesign rig, AcUnit unit) => rig with { Unit = rig.Unit with { Chosen = unit.Id } };

    /// <summary>The smallest of a kind, for the mains that inverters give here, that carries the harder corner; else the largest.</summary>
    private static AcUnit Smallest(AcKind kind, double neededW)
    {
        var all = UnitCatalogue.All.Where(u => u.Kind == kind && u.SupplyVoltageV is >= 110 and <= 125).OrderBy(u => u.RatedCapacityW).ToList();
        return all.FirstOrDefault(u => u.RatedCapacityW >= SizeBand.Begins * neededW) ?? all[^1];
    }

    private static string Starts(JobDesign rig, AcUnit unit)
    {
        StartOutcome Of(StartRemedy remedy) =>
            Assessor.Assess(With(rig, unit) with { Start = rig.Start with { Remedy = remedy } }).Start?.Outcome ?? StartOutcome.StartsButCannotRun;
        if (Of(StartRemedy.None) == StartOutcome.Starts)
            return "yes";
        if (unit.SingleSpeed && Of(StartRemedy.SoftStarter) == StartOutcome.Starts)
            return "only with a soft starter";
        return "no: the source is too small for it";
    }

    private static JobDesign In(JobDesign rig, Corner corner)
    {
        var survey = rig.Survey;
        SkinDesign Skin(SkinDesign skin) => skin with { InsulationM = corner.Insulation * skin.InsulationM, Paint = corner.Paint };
        var glass = corner.GlassShare * survey.Space.LengthM * survey.Space.WidthM / 2;
        var high = Math.Min(0.6, 0.4 * survey.Space.HeightM);
        WindowDesign Pane(Side side) => new()
        {
            Side = side,
            HeightM = high,
            WidthM = Math.Clamp(glass / high, 0.05, 0.9 * survey.Space.LengthM),
            Cover = corner.Cover,
        };
        return rig with
        {
            Survey = survey with
            {
                Roof = Skin(survey.Roof),
                Walls = Skin(survey.Walls),
                Floor = survey.Floor with { InsulationM = corner.Insulation * survey.Floor.InsulationM },
                Space = survey.Space with { AirChangesPerHour = corner.AirChanges * survey.Space.AirChangesPerHour },
                Windows = [Pane(Side.Left), Pane(Side.Right)],
            },
        };
    }
}
