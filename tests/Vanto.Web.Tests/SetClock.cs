namespace Vanto.Web.Tests;

/// <summary>A clock that stands where a test sets it, in UTC: what depends on the hour is then the same at night.</summary>
internal sealed class SetClock(DateTimeOffset now) : TimeProvider
{
    public DateTimeOffset Now { get; set; } = now;

    public override TimeZoneInfo LocalTimeZone => TimeZoneInfo.Utc;

    public override DateTimeOffset GetUtcNow() => Now;
}
