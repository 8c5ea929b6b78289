using System.Net;
using System.Net.Http.Json;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Commission;

public class RigFitEndpointTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Too_few_readings_are_refused_and_enough_are_fitted()
    {
        var id = (await server.Begin()).Id();
        async Task<HttpResponseMessage> Post(object values) => await server.Http.PostAsJsonAsync($"/api/rigs/{id}/records",
            new { kind = "cooling", by = "Ottoline Marsh", units = "metric", decimalComma = false, values });
        await Read(await Post(new { cabinC = "38", outdoorC = "34", begins = "true" }));
        var few = await Read(await server.Http.PostAsync($"/api/rigs/{id}/commission/as-measured", null), HttpStatusCode.BadRequest);
        few.Text("/detail").ShouldContain("readings");
        for (var i = 1; i <= 12; i++)
            await Read(await Post(new { cabinC = $"{26 + 12 * Math.Exp(-i / 4.0):0.0}", minute = $"{3 * i}" }));
        var fit = await Read(await server.Http.PostAsync($"/api/rigs/{id}/commission/as-measured", null));
        fit.Number("/loss").ShouldBeInRange(0.3, 2.6);
        fit.Number("/lossFrom").ShouldBeLessThanOrEqualTo(fit.Number("/lossTo"));
        fit.Number("/apartK").ShouldBeGreaterThan(0);
    }
}
