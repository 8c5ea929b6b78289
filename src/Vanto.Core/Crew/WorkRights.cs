using Vanto.Core.Install;
using Vanto.Core.Quantities;

namespace Vanto.Core.Crew;

/// <summary>What a role may write down of the work on site. Common practice; law and licence come first.</summary>
public static class WorkRights
{
    /// <summary>So long a helper may take back what was written; the product's own choice.</summary>
    public static readonly TimeSpan HelperCorrects = TimeSpan.FromHours(24);

    /// <summary>Why an event may not be written; empty where it may.</summary>
    /// <param name="role">Who writes it.</param>
    /// <param name="e">The event.</param>
    /// <param name="corrected">What it corrects; null where it corrects nothing that is known.</param>
    /// <param name="skill">Of the one who leads its step; empty is anyone's.</param>
    /// <param name="now">It is written.</param>
    public static string Refused(CrewRole role, InstallRecord e, InstallRecord? corrected, string skill, DateTimeOffset now)
    {
        var who = Calls.Name(role);
        bool Lacks(CrewRight right) => !CrewRights.May(role, right);
        if (corrected is not null && corrected.Event.Device != e.Event.Device && Lacks(CrewRight.CorrectOthers))
            return $"A {who} may not correct what {corrected.By} wrote down: the owner may.";
        if (corrected is not null && role == CrewRole.Helper && now - corrected.At > HelperCorrects)
            return $"A {who} corrects within {HelperCorrects.TotalHours:0} hours; a fitter may help.";
        if (e.Event.Type == EventType.GateOverridden && Lacks(CrewRight.PassOver))
            return $"A {who} may not {Calls.Name(CrewRight.PassOver)}: a fitter may.";
        var second = e.Event.Second.Trim();
        return e.Event.Type == EventType.StepFinished && skill.Length > 0 && Lacks(CrewRight.EndLicensed) && (second.Length == 0 || second == e.By)
            ? $"This step takes {(skill == "handler" ? "a refrigerant" : "an electrical")} licence: name who supervises." : "";
    }
}
