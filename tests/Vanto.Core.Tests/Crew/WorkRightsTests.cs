using Vanto.Core.Crew;
using Vanto.Core.Install;

namespace Vanto.Core.Tests.Crew;

/// <summary>Who may write down what of the work on site. Common practice, no published source.</summary>
public class WorkRightsTests
{
    private static readonly DateTimeOffset Noon = DateTimeOffset.UnixEpoch.AddHours(12);

    private static InstallRecord E(EventType type, string device = "3f2a9c1d/phone", string second = "", double hoursAgo = 0) =>
        new(Guid.NewGuid(), Noon.AddHours(-hoursAgo), "Wren", new InstallValues { Type = type, Device = device, Second = second }, null);

    private static bool May(CrewRole role, InstallRecord e, InstallRecord? corrected = null, string skill = "") =>
        WorkRights.Refused(role, e, corrected, skill, Crew, Noon).Length == 0;

    private static readonly CrewPerson[] Crew = [new("Piet", true), new("Sanna", false), new("Wren", true)];

    [Theory]
    [InlineData(CrewRole.Owner, true, true, true, true, true)]
    [InlineData(CrewRole.Fitter, true, true, true, false, true)]
    [InlineData(CrewRole.Helper, false, true, false, false, false)]
    public void Roles_may_what_the_table_says(CrewRole role, bool passesOver, bool correctsOwn, bool correctsOldOwn, bool correctsOthers, bool endsLicensed)
    {
        May(role, E(EventType.GateOverridden)).ShouldBe(passesOver);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, hoursAgo: 23)).ShouldBe(correctsOwn);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, hoursAgo: 25)).ShouldBe(correctsOldOwn);
        May(role, E(EventType.Correction), E(EventType.NoteAdded, device: "77e0aa12/phone")).ShouldBe(correctsOthers);
        May(role, E(EventType.StepFinished), skill: "handler").ShouldBe(endsLicensed);
        May(role, E(EventType.StepFinished, second: "Piet"), skill: "electrician").ShouldBeTrue();
        May(role, E(EventType.StepFinished)).ShouldBeTrue();
    }

    /// <summary>A second person is one of the crew, and not oneself, however the name is written; of what takes a licence one who has it.</summary>
    [Theory]
    [InlineData("Piet", true, true)]
    [InlineData(" pIET ", true, true)]
    [InlineData("Sanna", false, true)]
    [InlineData("Wren", false, false)]
    [InlineData(" wren", false, false)]
    [InlineData("nobody", false, false)]
    [InlineData("", false, true)]
    public void A_second_person_is_of_the_crew(string second, bool licensed, bool plain)
    {
        May(CrewRole.Helper, E(EventType.StepFinished, second: second), skill: "handler").ShouldBe(licensed);
        May(CrewRole.Helper, E(EventType.StepFinished, second: second)).ShouldBe(plain);
    }

    /// <summary>What was written before the gate said who sent it, or on the laptop, belongs to no device of the crew.</summary>
    [Fact]
    public void What_no_device_is_known_to_have_sent_is_somebody_elses() =>
        May(CrewRole.Helper, E(EventType.Correction, device: "phone"), E(EventType.NoteAdded, device: "phone")).ShouldBeFalse();
}
