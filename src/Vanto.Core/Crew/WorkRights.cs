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
    /// <param name="crew">Whose name may stand as a second one.</param>
    /// <param name="now">It is written.</param>
    public static string Refused(CrewRole role, InstallRecord e, InstallRecord? corrected, string skill, IReadOnlyList<CrewPerson> crew, DateTimeOffset now)
    {
        var who = Calls.Name(role);
        bool Lacks(CrewRight right) => !CrewRights.May(role, right);
        if (corrected is not null && (corrected.Sender.Length == 0 || corrected.Sender != e.Sender) && Lacks(CrewRight.CorrectOthers))
            return $"A {who} may not correct what {corrected.By} wrote down: the owner may.";
        if (corrected is not null && role == CrewRole.Helper && now - corrected.At > HelperCorrects)
            return $"A {who} corrects within {HelperCorrects.TotalHours:0} hours; a fitter may help.";
        if (e.Event.Type == EventType.GateOverridden && Lacks(CrewRight.PassOver))
            return $"A {who} may not {Calls.Name(CrewRight.PassOver)}: a fitter may.";
        var second = e.Event.Second.Trim();
        var licensed = e.Event.Type == EventType.StepFinished && skill.Length > 0 && Lacks(CrewRight.EndLicensed);
        if (second.Length == 0)
            return licensed ? $"This step takes {Licence(skill)} licence: name who supervises." : "";
        if (CrewPerson.Same(second, e.By))
            return (licensed ? $"This step takes {Licence(skill)} licence: name who supervises. " : "")
                + $"Somebody else than {e.By} stands as the second person.";
        return !crew.Any(p => p.Is(second)) ? $"\"{second}\" is nobody of this crew: who joined, stands in the plan, or has a licence in the shop is."
            : licensed && !crew.Any(p => p.Is(second) && p.Supervises)
                ? $"This step takes {Licence(skill)} licence: name who supervises. {second} has none that is known here." : "";
    }

    private static string Licence(string skill) => skill == "handler" ? "a refrigerant" : "an electrical";
}
