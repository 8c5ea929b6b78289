namespace Vanto.Core.Plan;

/// <summary>Stages as a person says them.</summary>
public static class StageWords
{
    private static readonly Dictionary<string, string> Words = new()
    {
        ["ready"] = "before the day",
        ["arrive"] = "arrive, make safe",
        ["setout"] = "set out",
        ["mount"] = "outdoor unit, frame",
        ["open"] = "hole",
        ["head"] = "head",
        ["line"] = "pipe",
        ["drain"] = "drain",
        ["wire"] = "wiring",
        ["join"] = "joints",
        ["prove"] = "proof",
        ["release"] = "open, look for leaks",
        ["start"] = "start, measure",
        ["close"] = "close up",
        ["hand"] = "hand over",
    };

    public static string Of(string stage) => Words.GetValueOrDefault(stage, stage);
}
