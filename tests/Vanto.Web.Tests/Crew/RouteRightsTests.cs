using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Vanto.Core.Crew;
using Vanto.Web.Crew;

namespace Vanto.Web.Tests.Crew;

/// <summary>Each role at every route of the API, through the gate, in every spelling.</summary>
public sealed class RouteRightsTests(RunningServer server) : IClassFixture<RunningServer>, IAsyncLifetime
{
    private readonly Crowd _crowd = new(server);

    public Task InitializeAsync() => _crowd.Open();

    public Task DisposeAsync() => _crowd.Gate.Close();

    private List<RouteEndpoint> Routes => [.. server.Services.GetRequiredService<EndpointDataSource>().OfApi()];

    private static RouteRight Of(RouteEndpoint route) => route.Metadata.GetMetadata<RouteRight>()!;

    /// <summary>Calculations state one right, all of them; three stand for them where each would be run many times.</summary>
    private bool Asked(RouteEndpoint route) => !route.RoutePattern.RawText!.StartsWith("/api/calc/", StringComparison.Ordinal)
        || Routes.Where(r => r.RoutePattern.RawText!.StartsWith("/api/calc/", StringComparison.Ordinal)).Take(3).Contains(route);

    /// <summary>The gate answers these itself, for every device that joined.</summary>
    private static bool OfTheGate(RouteEndpoint route) => route.RoutePattern.RawText!.TrimStart('/') is "api/crew/me" or "api/crew/clock";

    [Fact]
    public void Every_route_states_the_right_that_it_needs()
    {
        Routes.Count.ShouldBeGreaterThan(150);
        RouteRights.Faults(Routes).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_server_with_a_route_that_states_none_does_not_start()
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.Services.AddHostedService<RightsStated>();
        await using var app = builder.Build();
        app.Urls.Add("http://127.0.0.1:0");
        app.MapGet("/api/rigs/{id:guid}/open", () => "door");
        (await Should.ThrowAsync<InvalidOperationException>(() => app.StartAsync())).Message.ShouldContain("GET /api/rigs/{id:guid}/open states no right");
    }

    [Theory]
    [InlineData("GET", "/api/exchange/shop.zip", CrewRight.Share)]
    [InlineData("POST", "/api/exchange/", CrewRight.Share)]
    [InlineData("POST", "/api/shop/shelf/Prices", CrewRight.Prices)]
    [InlineData("POST", "/api/shop/shelf/Tools", CrewRight.Prices)]
    [InlineData("POST", "/api/shop/shelf/Units", CrewRight.Design)]
    [InlineData("POST", "/api/rigs/{id:guid}/plan/prices", CrewRight.Prices)]
    [InlineData("POST", "/api/rigs/{id:guid}/instruments/broker", CrewRight.Share)]
    [InlineData("POST", "/api/rigs/{id:guid}/instruments/import", CrewRight.Record)]
    [InlineData("DELETE", "/api/rigs/{id:guid}", CrewRight.Purge)]
    public void What_matters_most_asks_for_what_it_should(string method, string path, CrewRight right) =>
        Routes.Where(r => r.RoutePattern.RawText!.Trim('/') == path.Trim('/') && RouteRights.Methods(r).Contains(method)).ShouldHaveSingleItem()
            .Metadata.GetMetadata<RouteRight>()!.Right.ShouldBe(right);

    /// <summary>A route that reaches one rig by default must name it.</summary>
    [Fact]
    public async Task A_route_that_names_no_rig_says_how_far_it_reaches()
    {
        await using var app = WebApplication.CreateSlimBuilder().Build();
        app.MapGet("/api/all", () => "").Needs(CrewRight.Read);
        RouteRights.Faults(((IEndpointRouteBuilder)app).DataSources.SelectMany(d => d.Endpoints).OfType<RouteEndpoint>()).ShouldHaveSingleItem()
            .ShouldContain("names no rig");
    }

    private static string Path(RouteEndpoint route, string rig) => "/" + string.Join('/', route.RoutePattern.PathSegments.Select(s => string.Concat(
        s.Parts.Select(p => p switch
        {
            Microsoft.AspNetCore.Routing.Patterns.RoutePatternParameterPart { Name: "id" } => rig,
            Microsoft.AspNetCore.Routing.Patterns.RoutePatternParameterPart { Name: "number" } => "1",
            Microsoft.AspNetCore.Routing.Patterns.RoutePatternParameterPart parameter => parameter.Name is "file" or "paper" ? $"{Guid.Empty}" : "none",
            Microsoft.AspNetCore.Routing.Patterns.RoutePatternLiteralPart literal => literal.Content,
            _ => "",
        }))));

    /// <summary>An address that goes out letter by letter as it is written.</summary>
    private static Uri AsSpelled(HttpClient who, string path) =>
        new($"{who.BaseAddress!.GetLeftPart(UriPartial.Authority)}{path}", new UriCreationOptions { DangerousDisablePathAndQueryCanonicalization = true });

    private static async Task<HttpStatusCode> Ask(HttpClient who, string method, string path)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), AsSpelled(who, path));
        if (method != "GET")
            request.Content = new StringContent("{}", Encoding.UTF8, "application/json");
        using var answer = await who.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
        return answer.StatusCode;
    }

    /// <summary>The same address spelled otherwise.</summary>
    private static IEnumerable<(string As, string Path)> Spellings(string path)
    {
        yield return ("upper", path.ToUpperInvariant());
        yield return ("mixed", string.Concat(path.Select((c, i) => i % 2 == 0 ? char.ToUpperInvariant(c) : c)));
        yield return ("escaped", "/" + string.Join('/', path.Split('/', StringSplitOptions.RemoveEmptyEntries).Select(s => $"%{(int)s[0]:X2}{s[1..]}")));
        yield return ("doubled", path.Replace("/", "//"));
        yield return ("trailing", path + "/");
        yield return ("dotted", path.Replace("/api/", "/api/./x/../"));
    }

    private static string Verdict(HttpStatusCode status) => status switch
    {
        HttpStatusCode.Unauthorized => "not joined",
        HttpStatusCode.Forbidden => "refused",
        HttpStatusCode.TooManyRequests => "too many",
        _ => "let in",
    };

    [Theory]
    [InlineData("owner", false)]
    [InlineData("fitter", false)]
    [InlineData("helper", false)]
    [InlineData("viewer", false)]
    [InlineData("helper", true)]
    [InlineData("viewer", true)]
    public async Task A_role_gets_what_the_table_says_at_every_route_in_every_spelling(string name, bool one)
    {
        var role = Enum.Parse<CrewRole>(name, ignoreCase: true);
        // No rig has it: what is let in finds nothing to do.
        var own = $"{Guid.NewGuid()}";
        using var phone = await _crowd.Joined(name, "Wren", one ? own : null);
        foreach (var route in Routes.Where(Asked))
            foreach (var method in RouteRights.Methods(route))
            {
                var needs = Of(route);
                var allowed = OfTheGate(route) || CrewRights.May(role, needs.Right) && (!one || needs.Reach != Reach.Yard);
                // What an owner may do to the crew is left out.
                if (allowed && needs is { Right: CrewRight.Share, Reach: Reach.Yard })
                    continue;
                var path = Path(route, own);
                var plain = await Ask(phone, method, path);
                Verdict(plain).ShouldBe(allowed ? "let in" : "refused", $"{name} {method} {path} gave {plain}");
                foreach (var (spelling, other) in Spellings(path))
                    Verdict(await Ask(phone, method, other)).ShouldBe(Verdict(plain), $"{name} {method} {other} ({spelling})");
            }
    }

    /// <summary>A device of one rig is refused at any other, in every spelling, whatever its role may.</summary>
    [Fact]
    public async Task A_device_of_one_rig_is_refused_at_every_other()
    {
        var (mine, other) = ((await server.Begin("Dotterel")).Id(), (await server.Begin("Whimbrel")).Id());
        using var phone = await _crowd.Joined("helper", "Wren", mine);
        foreach (var route in Routes.Where(r => Of(r).Reach == Reach.Rig))
            foreach (var method in RouteRights.Methods(route))
                foreach (var (_, path) in Spellings(Path(route, other)).Append(("plain", Path(route, other))))
                    (await Ask(phone, method, path)).ShouldBe(HttpStatusCode.Forbidden, $"{method} {path}");
        foreach (var yard in new[] { "/api/rigs", "/api/rigs/", "/API/Rigs", "//api//rigs", "/api/rigs?only=", "/api/rigs/?only=", "/%61pi/rigs/" })
            JsonNode.Parse(await phone.GetStringAsync(AsSpelled(phone, yard)))!.AsArray().Select(r => r!.Text("/name")).ShouldBe(["Dotterel"], yard);
    }

    [Fact]
    public async Task A_stranger_gets_nothing_of_the_API_in_any_spelling()
    {
        using var stranger = _crowd.Phone();
        foreach (var route in Routes)
            foreach (var method in RouteRights.Methods(route))
                foreach (var (_, path) in Spellings(Path(route, $"{Guid.NewGuid()}")).Append(("plain", Path(route, $"{Guid.NewGuid()}"))))
                    (await Ask(stranger, method, path)).ShouldBe(HttpStatusCode.Unauthorized, $"{method} {path}");
    }

    /// <summary>The server itself is a second lock: what reaches it as a stranger's or as nobody's gets no further, whatever the gate let through.</summary>
    [Fact]
    public async Task The_server_refuses_by_itself_what_the_gate_vouches_for_no_one()
    {
        foreach (var written in new[] { CrewCaller.Stranger.Written, "", "x", "e30=", Convert.ToBase64String("""{"Role":0,"Name":"","Shared":true}"""u8) })
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rigs");
            request.Headers.Add(CrewCaller.Header, written);
            (await server.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.Forbidden, written);
        }
        using var viewer = new HttpRequestMessage(HttpMethod.Delete, $"/api/rigs/{Guid.NewGuid()}");
        viewer.Headers.Add(CrewCaller.Header, new CrewCaller(CrewRole.Viewer, Guid.NewGuid(), "Wren", null, false).Written);
        (await server.Http.SendAsync(viewer)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    /// <summary>What a phone says of itself counts for nothing.</summary>
    [Fact]
    public async Task A_header_of_the_gate_from_outside_is_taken_off()
    {
        using var phone = await _crowd.Joined("viewer");
        phone.DefaultRequestHeaders.Add(CrewCaller.Header, CrewCaller.Owner.Written);
        (await phone.GetAsync("/api/crew")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await phone.GetAsync("/api/exchange/shop.zip")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task Who_asks_too_much_is_asked_to_wait()
    {
        await _crowd.Gate.Close();
        await _crowd.Open(new GateLimits(AtOnce: 20, PerS: 1, Codes: 3));
        using var stranger = _crowd.Phone();
        var asked = await Task.WhenAll(Enumerable.Range(0, 40).Select(_ => stranger.GetAsync("/api/rigs")));
        asked.Count(a => a.StatusCode == HttpStatusCode.TooManyRequests).ShouldBeInRange(15, 25);
        await _crowd.Gate.Close();
        await _crowd.Open(new GateLimits(Codes: 3));
        using var guesser = _crowd.Phone();
        for (var n = 0; n < 6; n++)
            (await Ask(guesser, "POST", "/api/crew/join")).ShouldBe(n < 3 ? HttpStatusCode.BadRequest : HttpStatusCode.TooManyRequests);
    }

    /// <summary>Connections are counted before anything is read of them.</summary>
    [Fact]
    public async Task Who_holds_too_many_connections_gets_no_more()
    {
        await _crowd.Gate.Close();
        await _crowd.Open(new GateLimits(Connections: 4));
        var held = new List<System.Net.Sockets.TcpClient>();
        try
        {
            for (var n = 0; n < 4; n++)
                held.Add(new System.Net.Sockets.TcpClient("127.0.0.1", _crowd.Gate.Port));
            await Should.ThrowAsync<HttpRequestException>(async () =>
            {
                // The four may still be on their way in.
                while (true)
                {
                    using var once = _crowd.Phone();
                    await once.GetAsync("/api/rigs");
                }
            });
        }
        finally
        {
            held.ForEach(h => h.Dispose());
        }
    }

    /// <summary>The table that the docs print is the one that is enforced.</summary>
    [Fact]
    public void The_docs_print_the_table()
    {
        var page = File.ReadAllText(System.IO.Path.Combine(Root, "docs", "security.md"));
        page.ShouldContain(RightsPage.Text(Routes), customMessage: "run ./vanto schema");
    }

    private static string Root
    {
        get
        {
            var folder = AppContext.BaseDirectory;
            while (!File.Exists(System.IO.Path.Combine(folder, "Vanto.slnx")))
                folder = System.IO.Path.GetDirectoryName(folder)!;
            return folder;
        }
    }
}
