using Vanto.Core.Supply;

namespace Vanto.Core.Survey;

/// <summary>Short ways to say what becomes of a source on board.</summary>
public static class SurveyEdits
{
    /// <summary>With another battery.</summary>
    public static SurveyDesign WithBattery(this SurveyDesign survey, Func<BatteryDesign, BatteryDesign> change) =>
        survey with { Sources = survey.Sources with { Battery = change(survey.Sources.Battery) } };

    /// <summary>With another inverter.</summary>
    public static SurveyDesign WithInverter(this SurveyDesign survey, Func<InverterDesign, InverterDesign> change) =>
        survey with { Sources = survey.Sources with { Inverter = change(survey.Sources.Inverter) } };

    /// <summary>With other modules.</summary>
    public static SurveyDesign WithModules(this SurveyDesign survey, Func<ModulesDesign, ModulesDesign> change) =>
        survey with { Sources = survey.Sources with { Modules = change(survey.Sources.Modules) } };

    /// <summary>With another generator.</summary>
    public static SurveyDesign WithGenerator(this SurveyDesign survey, Func<GeneratorDesign, GeneratorDesign> change) =>
        survey with { Sources = survey.Sources with { Generator = change(survey.Sources.Generator) } };

    /// <summary>With a tight cover in every window that has none such.</summary>
    public static SurveyDesign Covered(this SurveyDesign survey) =>
        survey with { Windows = [.. survey.Windows.Select(w => IsCovered(w) ? w : w with { Cover = "quilted" })] };

    /// <summary>True where a window's cover keeps the sun out already.</summary>
    public static bool IsCovered(WindowDesign window) => window.Cover is "quilted" or "opaque";

    /// <summary>With every device off that may be on at the start.</summary>
    public static SurveyDesign StartingAlone(this SurveyDesign survey) =>
        survey with { Devices = [.. survey.Devices.Select(d => d with { OnAtStart = false })] };

    /// <summary>Another inverter of a rating in this one's place: what its maker said of the old one goes with it.</summary>
    public static InverterDesign Replaced(this InverterDesign inverter, double ratedW) =>
        inverter with { RatedW = ratedW, IdleW = null, LabelVa = null, PeakW = null, Surge = [], Efficiency = [] };
}
