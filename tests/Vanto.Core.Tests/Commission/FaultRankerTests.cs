using Vanto.Core.Commission;
using Vanto.Core.Findings;

namespace Vanto.Core.Tests.Commission;

/// <summary>Causes by what is seen. Cases worked out outside this project by a second program; the figures in the book are judgement.</summary>
public class FaultRankerTests
{
    private static FaultRanking Rank(bool inService, string said) =>
        FaultRanker.Rank(said.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(s => s.Split('=')).ToDictionary(s => s[0], s => s[1]), inService);

    [Theory]
    [InlineData(false, "cooling=none outdoorAir=hardlyWarm suction=veryLow current=low", "ValvesClosed 0.9059 LowCharge 0.0278 NotCalling 0.0181", 0.7182,
        "valveCheck")]
    [InlineData(true, "cooling=weak ice=valve outdoorAir=hardlyWarm superheat=high", "LowCharge 0.8868 ValvePartlyOpen 0.0670 KinkedPipe 0.0154", 0.7634,
        "valveCheck")]
    [InlineData(true, "cooling=weak ice=valve outdoorAir=hardlyWarm superheat=high valveCheck=open jointTest=bubbles", "LowCharge 0.9941", 0.0712, "")]
    [InlineData(false, "start=inverterOverload cooling=none", "SourceTooSmall 0.5557 NotCalling 0.0782 ValvesClosed 0.0599", 2.6307, "display")]
    [InlineData(false, "display=comms cooling=none outdoorFan=off", "InterconnectCrossed 0.5824 InterconnectOpen 0.3401 PolarityReversed 0.0537", 1.3975,
        "interconnect")]
    [InlineData(false, "display=comms cooling=none outdoorFan=off interconnect=match",
        "PolarityReversed 0.4092 InterconnectCrossed 0.2254 InterconnectOpen 0.1844", 2.3589, "polarity")]
    [InlineData(true, "waterInside=yes cooling=normal", "DrainBlocked 0.7824 IndoorAirBlocked 0.0664 LooseMounting 0.0320", 1.5252, "noise")]
    [InlineData(false, "discharge=high current=high needle=swings split=low", "AirInSystem 0.8809 OutdoorAirBlocked 0.0637 Overcharge 0.0265", 0.7967,
        "outdoorCoil")]
    [InlineData(true, "cooling=weak ice=coil split=high indoorFan=weak", "IndoorAirBlocked 0.9632 IndoorFanFault 0.0348", 0.2449, "filterCoil")]
    [InlineData(false, "cooling=weak split=normal compressor=runs current=normal", "Undersized 0.4856 Unlisted 0.1195", 2.9876, "noise")]
    [InlineData(false, "cooling=none compressor=off display=none", "NotCalling 0.5273 SourceTooSmall 0.1557", 2.5176, "modeCheck")]
    public void Causes_by_what_is_seen(bool inService, string said, string expected, double entropy, string next)
    {
        var ranking = Rank(inService, said);
        var words = expected.Split(' ');
        for (var i = 0; i < words.Length / 2; i++)
        {
            ranking.Causes[i].Cause.Id.ShouldBe(words[2 * i]);
            ranking.Causes[i].Chance.ShouldBe(double.Parse(words[2 * i + 1], System.Globalization.CultureInfo.InvariantCulture), 6e-5);
        }
        ranking.EntropyBits.ShouldBe(entropy, 6e-5);
        if (next.Length > 0)
            ranking.Tests[0].Observation.Id.ShouldBe(next);
    }

    [Fact]
    public void Gains_are_those_worked_out_elsewhere()
    {
        double Gain(FaultRanking r, string id) => r.Tests.Single(t => t.Observation.Id == id).GainBits;
        Gain(Rank(false, "cooling=none outdoorAir=hardlyWarm suction=veryLow current=low"), "valveCheck").ShouldBe(0.3707, 6e-5);
        Gain(Rank(false, "display=comms cooling=none outdoorFan=off"), "interconnect").ShouldBe(1.0251, 6e-5);
        Gain(Rank(true, "waterInside=yes cooling=normal"), "pourTest").ShouldBe(0.4288, 6e-5);
        Gain(Rank(false, "cooling=none compressor=off display=none"), "modeCheck").ShouldBe(0.7119, 6e-5);
    }

    [Fact]
    public void Chances_sum_to_one_whatever_is_answered_and_its_order_does_not_matter()
    {
        Rank(false, "").Causes.Single(c => c.Cause.Id == "NotCalling").Chance.ShouldBe(0.0833, 6e-5);
        var random = new Random(7);
        foreach (var heats in new[] { false, true })
            for (var n = 0; n < 200; n++)
            {
                var answers = FaultBook.Standard.Observations.Where(o => (heats || !o.Heats) && random.Next(5) == 0)
                    .ToDictionary(o => o.Id, o => o.Values[random.Next(o.Values.Count)].Id);
                var ranking = FaultRanker.Rank(answers, random.Next(2) == 0, heats);
                ranking.Causes.Sum(c => c.Chance).ShouldBe(1, 1e-12);
                ranking.Tests.ShouldAllBe(t => t.GainBits >= 0);
            }
        var said = new[] { ("cooling", "none"), ("outdoorAir", "hardlyWarm"), ("suction", "veryLow") };
        FaultRanker.Rank(said.ToDictionary(), false).Causes.Select(c => c.Cause.Id)
            .ShouldBe(FaultRanker.Rank(said.Reverse().ToDictionary(), false).Causes.Select(c => c.Cause.Id));
    }

    [Fact]
    public void The_book_is_whole()
    {
        var book = FaultBook.Standard;
        book.Observations.ShouldAllBe(o => Math.Abs(o.Values.Sum(v => v.Share) - 1) < 1e-9);
        foreach (var cause in book.Causes)
        {
            (cause.Confirm.Length == 0 || book.Observations.Any(o => o.Id == cause.Confirm)).ShouldBeTrue(cause.Id);
            foreach (var observation in book.Observations)
                FaultRanker.Of(cause, observation).Sum().ShouldBe(1, 1e-12);
            foreach (var (id, given) in cause.Given)
                given.Keys.ShouldBeSubsetOf(book.Observations.Single(o => o.Id == id).Values.Select(v => v.Id));
        }
        FaultRanker.Rank(new Dictionary<string, string> { ["heating"] = "coldAir", ["cooling"] = "none" }, true, heats: true).Causes[0].Cause.Id
            .ShouldBe("ReversingValve");
        FaultRanker.Rank(new Dictionary<string, string>(), false, present: new HashSet<FaultTester>()).Tests
            .ShouldAllBe(t => t.Observation.Who == FaultTester.Any);
    }

    [Fact]
    public void An_answer_that_is_none_is_refused_with_the_list()
    {
        Should.Throw<InputException>(() => Rank(false, "cooling=cold")).Errors[0].Reason.ShouldContain("none, weak, normal");
        Should.Throw<InputException>(() => Rank(false, "colour=red")).Errors[0].Field.ShouldBe("colour");
    }
}
