using Vanto.Core.Crew;

namespace Vanto.Core.Tests.Crew;

/// <summary>Codes and rights of the crew's network. The product's own choice, no published source.</summary>
public class CrewTests
{
    private static readonly DateTimeOffset Noon = new(2027, 3, 2, 12, 0, 0, TimeSpan.Zero);

    [Fact]
    public void A_code_lets_one_device_in_once()
    {
        var code = new JoinCode("012345", CrewRole.Helper, Noon);
        var (verdict, after) = code.Judge("012345", "a", Noon.AddMinutes(1));
        verdict.ShouldBe(JoinVerdict.Joined);
        after.Judge("012345", "a", Noon.AddMinutes(1)).Verdict.ShouldBe(JoinVerdict.Over);
    }

    [Theory]
    [InlineData(0, true)]
    [InlineData(299, true)]
    [InlineData(300, false)]
    [InlineData(-1, false)]
    public void It_stands_for_five_minutes(int seconds, bool stands) =>
        new JoinCode("012345", CrewRole.Fitter, Noon).Stands(Noon.AddSeconds(seconds)).ShouldBe(stands);

    [Fact]
    public void After_five_wrong_tries_the_right_one_comes_too_late()
    {
        var code = new JoinCode("012345", CrewRole.Fitter, Noon);
        foreach (var wrong in new[] { "012344", "", "0123450", "abcdef", "٠١٢٣٤٥" })
        {
            (var verdict, code) = code.Judge(wrong, "a", Noon);
            verdict.ShouldBe(JoinVerdict.Wrong, wrong);
        }
        code.Judge("012345", "a", Noon).Verdict.ShouldBe(JoinVerdict.Deaf);
        code.Judge("012345", "b", Noon).Verdict.ShouldBe(JoinVerdict.Joined, "who guesses keeps nobody else out");
    }

    [Fact]
    public void Many_who_guess_together_end_a_code()
    {
        var code = new JoinCode("012345", CrewRole.Fitter, Noon);
        for (var n = 0; n < JoinCode.TriesOfAll; n++)
            (_, code) = code.Judge("x", $"address {n % 50}", Noon);
        code.Judge("012345", "another", Noon).Verdict.ShouldBe(JoinVerdict.Over);
    }

    [Theory]
    [InlineData(0, "000000")]
    [InlineData(42, "000042")]
    [InlineData(999999, "999999")]
    public void Every_number_drawn_is_six_digits(int drawn, string digits) => JoinCode.Of(drawn, CrewRole.Fitter, Noon).Digits.ShouldBe(digits);

    private const string Reads = "Read", Records = Reads + " Record", Fits = Records + " Design PassOver EndLicensed";

    [Theory]
    [InlineData(CrewRole.Owner, Fits + " Prices CorrectOthers Purge Share")]
    [InlineData(CrewRole.Fitter, Fits)]
    [InlineData(CrewRole.Helper, Records)]
    [InlineData(CrewRole.Viewer, Reads)]
    public void Each_role_may_what_it_may_and_nothing_else(CrewRole role, string rights)
    {
        CrewRights.Of(role).Select(r => r.ToString()).ShouldBe(rights.Split(' '), ignoreOrder: true);
        foreach (CrewRight right in Enum.GetValues<CrewRight>()) CrewRights.May(role, right).ShouldBe(CrewRights.Of(role).Contains(right));
    }
}
