using System.Net;
using System.Net.Http.Headers;
using System.Net.Sockets;
using System.Text;

namespace Vanto.Web.Tests.Security;

public class LoopbackGuardTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Every_answer_carries_a_strict_policy()
    {
        var response = await server.Http.GetAsync("/api/rigs");
        var policy = response.Headers.GetValues("Content-Security-Policy").Single();
        policy.ShouldContain("default-src 'none'");
        policy.ShouldContain("script-src 'self';");
        policy.ShouldContain("style-src 'self';");
        policy.ShouldNotContain("unsafe-eval");
        response.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
    }

    [Fact]
    public async Task A_foreign_host_name_is_refused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rigs");
        request.Headers.Host = "rebound.example";
        (await server.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task A_page_of_another_origin_is_refused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/rigs") { Content = new StringContent("{}", Encoding.UTF8, "application/json") };
        request.Headers.Add("Origin", "http://elsewhere.example");
        (await server.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task A_body_beyond_the_limit_is_refused()
    {
        using var content = new ByteArrayContent(new byte[5 * 1024 * 1024]);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/json");
        HttpStatusCode? status = null;
        try
        {
            status = (await server.Http.PostAsync("/api/rigs/import", content)).StatusCode;
        }
        catch (HttpRequestException)
        {
            // The server may close the connection before the whole body is sent: refused as well.
        }
        (status ?? HttpStatusCode.RequestEntityTooLarge).ShouldBe(HttpStatusCode.RequestEntityTooLarge);
    }

    [Fact]
    public async Task It_listens_on_loopback_only()
    {
        var port = server.Http.BaseAddress!.Port;
        var outward = Dns.GetHostAddresses(Dns.GetHostName()).Where(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a)).ToList();
        foreach (var address in outward)
        {
            using var socket = new TcpClient();
            await Should.ThrowAsync<SocketException>(() => socket.ConnectAsync(address, port));
        }
        server.Http.BaseAddress.Host.ShouldBe("127.0.0.1");
    }
}
