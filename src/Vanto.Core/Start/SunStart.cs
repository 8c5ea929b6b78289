using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>A PV-assisted unit on its own array, without battery or mains.</summary>
internal static class SunStart
{
    private const double ControllerEfficiency = 0.97;

    public static StartAssessment Assess(SurveyDesign survey, AcUnit unit, double outdoorC)
    {
        if (unit.Kind != AcKind.PvAssistedSplit)
            throw new InputException("start.on", "sun", $"{unit.NameFirst} cannot run on the sun alone; only a PV-assisted unit does.");
        var modules = survey.Sources.Modules;
        if (modules.Count == 0)
            throw new InputException("survey.sources.modules.count", "0", "No modules are on the roof: there is no sun to run on.");
        var noon = Enumerable.Range(6, 14).Select(h => DesignDay.At(RigBox.Weather(survey.Place), h)).MaxBy(m => m.Sky.Global);
        var cell = noon.AirC + modules.CellRise(survey.Place.WindMs) * noon.Sky.Global;
        var array = ControllerEfficiency * Modules.Power(modules.Count, modules.RatedW, noon.Sky.Global, cell);
        var full = Performance.FullLoad(unit, outdoorC, Performance.RatedWetBulbC);
        var least = Performance.Operate(unit, full, unit.MinCapacityW * full.CapacityFactor).PowerW;
        var most = Performance.MostPowerW(unit, outdoorC);
        var starts = array >= least;
        var findings = new List<Finding>();
        if (!starts)
            findings.Add(Finding.Of(FindingCode.StartSun, Severity.Stop,
                Phrase.Of($"At its lowest the unit draws {least:ElectricPower}; the array gives {array:ElectricPower} at best."),
                [new Remedy(Phrase.Of($"two modules more"), Phrase.Of($"{modules.Count + 2} in all"),
                    DesignEdit.Of(survey, s => s.WithModules(m => m with { Count = m.Count + 2 })))]));
        findings.Add(Finding.Of(FindingCode.StartSunOnly, Severity.Note, $"Without battery or mains it stops with each heavy cloud and at dusk."));
        var working = Working.Start()
            .Given("G", "sun on a flat module at its best hour", noon.Sky.Global, "W/m²", Citations.ClearSky)
            .Step("P", "0.97·N·P_stc·G/1000·(1 + γ(T_c − 25))·f", $"{modules.Count} × {modules.RatedW} W, cells {cell:0.#} °C", array, "W",
                Citations.Modules).Done();
        var used = least / Math.Max(1, array);
        return new StartAssessment
        {
            Verdict = new Verdict(Verdict.Worst(findings),
                starts ? Phrase.Of($"Starts softly on the sun alone; its lowest draw is {used:Fraction} of the array's best.") : findings[0].Words,
                Phrase.Of($"The array gives {array:ElectricPower} at best; the unit draws {least:ElectricPower} to {most:ElectricPower}.")),
            Findings = Finding.Ranked(findings),
            Figures = [new Figure("The array at its best", array, QuantityKind.ElectricPower, working)],
            Outcome = starts ? StartOutcome.Starts : StartOutcome.StartsButCannotRun,
            Cause = starts ? TripCause.None : TripCause.TooLittleSun,
            Trace = StartTrace.None,
            Bearing = [],
            Neighbours = [],
            Remedies = [],
            Stacking = [],
            MaxA = least / (unit.SupplyVoltageV * unit.PowerFactorRun),
            LimitA = 0,
            RunA = least / (unit.SupplyVoltageV * unit.PowerFactorRun),
            RunV = unit.SupplyVoltageV,
            SourceV = unit.SupplyVoltageV,
            SurgeUsed = used,
            ContinuousW = array,
            SurgeW = array,
            NeededReduction = null,
            InverterDriven = true,
            PeakShare = used,
            Answers = StartStation.Answers(Phrase.Of($"Nothing else can be on: the array feeds the unit alone."), new StartDesign(),
                least / (unit.SupplyVoltageV * unit.PowerFactorRun)),
        };
    }
}
