namespace Vanto.Core.Findings;

/// <summary>State of a station, drawn as the shape of its joint.</summary>
public enum StationState { Open, Resting, Passed, Caution, Stop }

/// <summary>What a station says in one sentence, and the reason in a second.</summary>
public sealed record Verdict(StationState State, Phrase Headline, Phrase Detail)
{
    /// <summary>State by the worst of some findings.</summary>
    public static StationState Worst(IEnumerable<Finding> findings)
    {
        var worst = StationState.Passed;
        foreach (var finding in findings)
            worst = (StationState)Math.Max((int)worst,
                finding.Level switch { Severity.Stop => (int)StationState.Stop, Severity.Caution => (int)StationState.Caution, _ => (int)StationState.Passed });
        return worst;
    }

    /// <summary>A station that waits for an earlier one.</summary>
    /// <param name="station">The earlier one.</param>
    /// <param name="why">What keeps it.</param>
    public static Verdict WaitsFor(string station, Phrase why) => new(StationState.Resting, Phrase.Of($"Waits for {station}."), why);
}
