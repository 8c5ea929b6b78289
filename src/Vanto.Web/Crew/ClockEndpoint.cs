using Vanto.Core.Exchange;
using Vanto.Core.Findings;

namespace Vanto.Web.Crew;

/// <summary>When a question was heard here and when it was answered, s since 1970 by this machine's clock.</summary>
/// <param name="Asked">So often a device asks before it is judged.</param>
public sealed record ClockMoment(double ReceivedS, double AnsweredS, int Asked);

/// <summary>How the clock of the device that asked stands.</summary>
/// <param name="OffsetS">By how much this machine's clock is ahead, s.</param>
/// <param name="Severity">Nothing where they agree.</param>
/// <param name="Words">The same in words.</param>
public sealed record ClockView(double OffsetS, Severity? Severity, Phrase? Words);

/// <summary>A device of the crew asks a few times what time it is here, and is told how its own clock stands.</summary>
public static class ClockEndpoint
{
    public const string Path = "/api/crew/clock";

    /// <summary>Heard and answered in the same moment: there is nothing to do between.</summary>
    public static ClockMoment Now(TimeProvider clock) => Moment(clock.GetUtcNow().ToUnixTimeMilliseconds() / 1000.0);

    private static ClockMoment Moment(double now) => new(now, now, ClockSkew.Samples);

    public static ClockView View(ClockSkew skew) => new(skew.OffsetS, skew.Severity, skew.Said("The clock of this device"));
}
