using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Commission;

public class RigFitEndpointTests(RigFitEndpointTests.SetHourServer server) : IClassFixture<RigFitEndpointTests.SetHourServer>
{
    /// <summary>A server whose clock a test sets: how warm a closed-up rig can be depends on the hour.</summary>
    public class SetHourServer : RunningServer
    {
        private readonly SetClock _clock = new(DateTimeOffset.UnixEpoch);

        protected override TimeProvider Clock => _clock;

        public void Set(int hour) => _clock.Now = new DateTimeOffset(2026, 7, 1, hour, 0, 0, TimeSpan.Zero);
    }

    private async Task<HttpResponseMessage> Post(string id, object values) => await server.Http.PostAsJsonAsync($"/api/rigs/{id}/records",
        new { kind = "cooling", by = "Ottoline Marsh", units = "metric", decimalComma = false, values });

    private Task<HttpResponseMessage> Fit(string id) => server.Http.PostAsync($"/api/rigs/{id}/commission/as-measured", null);

    private async Task<string> CooledDown(int hour, string outdoorC)
    {
        server.Set(hour);
        var id = (await server.Begin()).Id();
        await Read(await Post(id, new { cabinC = "38", outdoorC, begins = "true" }));
        for (var i = 1; i <= 12; i++)
            await Read(await Post(id, new { cabinC = $"{26 + 12 * Math.Exp(-i / 4.0):0.0}", minute = $"{3 * i}" }));
        return id;
    }

    [Fact]
    public async Task Too_few_readings_are_refused()
    {
        server.Set(15);
        var id = (await server.Begin()).Id();
        await Read(await Post(id, new { cabinC = "38", outdoorC = "34", begins = "true" }));
        (await Read(await Fit(id), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("readings");
    }

    [Fact]
    public async Task A_hot_afternoon_is_fitted()
    {
        var fit = await Read(await Fit(await CooledDown(15, "34")));
        fit.Number("/loss").ShouldBeInRange(0.3, 2.6);
        fit.Number("/lossFrom").ShouldBeLessThanOrEqualTo(fit.Number("/lossTo"));
        fit.Number("/apartK").ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task Warmer_than_the_night_can_make_a_closed_rig_is_refused_with_the_warmth()
    {
        var refused = await Read(await Fit(await CooledDown(4, "14")), HttpStatusCode.BadRequest);
        refused.Text("/detail").ShouldContain("warmer than the closed-up rig can be at that hour");
    }
}
