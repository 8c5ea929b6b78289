using System.Text.Json.Serialization;
using Vanto.Core.Findings;

namespace Vanto.Core.Exchange;

/// <summary>A question of a device to this machine and the answer, in seconds since one moment, each by the clock of who was there.</summary>
/// <param name="SentS">The device asks.</param>
/// <param name="ReceivedS">This machine hears it.</param>
/// <param name="AnsweredS">This machine answers.</param>
/// <param name="BackS">The device hears that.</param>
public sealed record ClockSample(double SentS, double ReceivedS, double AnsweredS, double BackS)
{
    /// <summary>By how much this machine's clock is ahead of the device's, s; right to half of the delay (RFC 5905).</summary>
    [JsonIgnore] public double OffsetS => ((ReceivedS - SentS) + (AnsweredS - BackS)) / 2;

    /// <summary>What the way there and back took, s (RFC 5905).</summary>
    [JsonIgnore] public double DelayS => (BackS - SentS) - (AnsweredS - ReceivedS);
}

/// <summary>How a device's clock stands to this machine's.</summary>
/// <param name="OffsetS">By how much this machine's clock is ahead, s.</param>
/// <param name="DelayS">Of the question it was read from, s.</param>
/// <param name="Severity">Nothing where they agree.</param>
public sealed record ClockSkew(double OffsetS, double DelayS, Severity? Severity)
{
    /// <summary>Questions asked for one answer; the quickest counts.</summary>
    public const int Samples = 8;

    /// <summary>From here on it is said, and from here on cautioned, s; the product's own choice.</summary>
    public const double NoteS = 2, CautionS = 60;

    /// <summary>Seconds since 1970 that a clock may show here, so that no answer is beyond counting; the product's own choice.</summary>
    public const double MostS = 1e11;

    /// <summary>Of the quickest of some questions.</summary>
    /// <exception cref="InputException">None, too many, a moment that no clock shows, or an answer before its question.</exception>
    public static ClockSkew Of(IReadOnlyList<ClockSample?> samples)
    {
        if (samples.Count is 0 or > Samples)
            throw new InputException("samples", $"{samples.Count}", $"{samples.Count} samples of the clock; 1 to {Samples} are asked for.");
        foreach (var sample in samples)
            if (sample is null)
                throw new InputException("samples", "nothing", "A sample of the clock is empty.");
            else if (new[] { sample.SentS, sample.ReceivedS, sample.AnsweredS, sample.BackS }.Any(s => !(Math.Abs(s) <= MostS)))
                throw new InputException("samples", "", $"A moment of the clock is beyond {MostS:0} seconds from 1970.");
            else if (sample.BackS < sample.SentS || sample.AnsweredS < sample.ReceivedS)
                throw new InputException("samples", "", "An answer stands before its question: the clock was set meanwhile. Measure again.");
        var best = samples.MinBy(s => s!.DelayS)!;
        return new ClockSkew(best.OffsetS, best.DelayS, Math.Abs(best.OffsetS) switch
        {
            > CautionS => Findings.Severity.Caution,
            > NoteS => Findings.Severity.Note,
            _ => null,
        });
    }

    /// <summary>In words; nothing where the clocks agree.</summary>
    /// <param name="whose">Clock that it speaks of, as a sentence begins with it.</param>
    public Phrase? Said(string whose) => Severity switch
    {
        null => null,
        Findings.Severity.Note => Phrase.Of($"{whose} is {Math.Abs(OffsetS):Number} s {Way} the laptop's."),
        _ => Phrase.Of($"{whose} is {Math.Abs(OffsetS) / 60:Number} min {Way} the laptop's: what is written down on it keeps that time. Set it."),
    };

    private string Way => OffsetS > 0 ? "behind" : "ahead of";
}
