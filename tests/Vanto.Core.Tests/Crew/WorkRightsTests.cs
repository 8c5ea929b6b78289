using Vanto.Core.Crew;
using Vanto.Core.Install;

namespace Vanto.Core.Tests.Crew;

/// <summary>Who may write down what of the work on site. Common practice, no published source.</summary>
public class WorkRightsTests
{
    private static readonly DateTimeOffset Noon = DateTimeOffset.UnixEpoch.AddHours(12);

    private static InstallRecord E(EventType type, string device = "phone", string second = "", double hoursAgo = 0) =>
        new(Guid.NewGuid(), Noon.AddHours(-hoursAgo), "Wren", new InstallValues { Type = type, Device = device, Second = second }, null);

    private static bool May(CrewRole role, InstallRecord e, InstallRecord? corrected = null, string skill = "") =>
        WorkRights.Refused(role, e, corrected, skill, Noon).Length == 0;

    [Theory]
    [InlineData(CrewRole.Owner, true, true, true, true, true)]
    [InlineData(CrewRole.Fitter, true, true, true, false, true)]
    [InlineData(CrewRole.Helper, false, true, false, false, false)]
    public void Roles_may_what_the_table_says(CrewRole role, bool passesOver, bool correctsOwn, bool correctsOldOwn, bool correctsOthers, bool endsLicensed)
    {
        May(role, E(EventType.GateOverridden)).ShouldBe(passesOver);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, hoursAgo: 23)).ShouldBe(correctsOwn);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, hoursAgo: 25)).ShouldBe(correctsOldOwn);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, device: "laptop")).ShouldBe(correctsOthers);
        May(role, E(EventType.StepFinished), skill: "handler").ShouldBe(endsLicensed);
        May(role, E(EventType.StepFinished, second: "Piet"), skill: "electrician").ShouldBeTrue();
        May(role, E(EventType.StepFinished)).ShouldBeTrue();
    }
}
