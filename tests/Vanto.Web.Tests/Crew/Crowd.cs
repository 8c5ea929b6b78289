using System.Net.Http.Json;
using Microsoft.Extensions.DependencyInjection;
using Vanto.Web.Crew;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Crew;

/// <summary>Devices of the crew at the gate of a running server.</summary>
internal sealed class Crowd(RunningServer server)
{
    /// <summary>Far above what a test asks.</summary>
    public static readonly GateLimits Wide = new(1000, 100_000, 100_000, 10_000);

    public CrewGate Gate => server.Services.GetRequiredService<CrewGate>();

    public async Task Open(GateLimits? limits = null)
    {
        Gate.Limits = limits ?? Wide;
        await Gate.Open(false, 0);
    }

    /// <summary>Somebody who has not joined.</summary>
    public HttpClient Phone() => new(new SocketsHttpHandler { UseProxy = false }) { BaseAddress = new Uri($"http://127.0.0.1:{Gate.Port}") };

    public async Task<string> Code(string role, string? rig = null) =>
        (await Read(await server.Http.PostAsJsonAsync("/api/crew/code", new { role, rig }))).Text("/code/digits");

    public async Task<HttpClient> Joined(string role, string name = "Wren", string? rig = null)
    {
        var phone = Phone();
        (await Read(await phone.PostAsJsonAsync("/api/crew/join", new { code = await Code(role, rig), name }))).Text("/role").ShouldBe(role);
        return phone;
    }
}
