using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using MQTTnet;
using MQTTnet.Protocol;
using Vanto.Core.Instruments;
using Vanto.Storage;
using Vanto.Web.Instruments;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Instruments;

/// <summary>Instruments at the real server: heard only when somebody listens, kept before they are acknowledged, taken over into the proof.</summary>
public class InstrumentTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static readonly DateTimeOffset Noon = new(2026, 3, 2, 12, 0, 0, TimeSpan.Zero);

    private async Task<string> Split()
    {
        var id = (await server.Begin()).Id();
        await Read(await server.Patch(id, 1, [Set("/unit/chosen", "MS-12-120")]));
        return id;
    }

    private async Task<JsonNode> Tell(string id, string path, object body) =>
        await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/{path}", body));

    private async Task<JsonNode> See(string id) => await Read(await server.Http.GetAsync($"/api/rigs/{id}/instruments"));

    private async Task<int> Listen(string id) => (int)(await Tell(id, "broker", new { on = true }))["port"]!;

    private static async Task<IMqttClient> Connect(int port)
    {
        var client = new MqttClientFactory().CreateMqttClient();
        await client.ConnectAsync(new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", port)
            .WithProtocolVersion(MQTTnet.Formatter.MqttProtocolVersion.V500).Build());
        return client;
    }

    private static async Task<MqttClientPublishReasonCode> Publish(IMqttClient client, string job, InstrumentReading r, string? raw = null) =>
        (await client.PublishAsync(new MqttApplicationMessageBuilder().WithTopic(InstrumentMessage.Topic(job, r.Instrument, r.Quantity))
            .WithPayload(raw is null ? InstrumentMessage.Write(job, r) : Encoding.UTF8.GetBytes(raw))
            .WithQualityOfServiceLevel(MqttQualityOfServiceLevel.AtLeastOnce).Build())).ReasonCode;

    private static InstrumentReading Vacuum(int n, double pa) =>
        new("vac-1", InstrumentQuantity.AbsolutePressure, pa, Noon.AddSeconds(5 * n), n, ReadingQuality.Good);

    private static string Job(string id) => Guid.Parse(id).ToString("N");

    [Fact]
    public async Task What_was_acknowledged_is_kept_and_drawn_and_taken_over()
    {
        var id = await Split();
        using var client = await Connect(await Listen(id));
        for (var n = 0; n < 240; n++)
            (await Publish(client, Job(id), Vacuum(n, n < 60 ? 2600 - 43 * n : 40 + 8 * (1 - Math.Exp(-(n - 60) / 30.0)))))
                .ShouldBe(MqttClientPublishReasonCode.Success);
        (await Publish(client, Job(id), Vacuum(239, 48))).ShouldBe(MqttClientPublishReasonCode.Success, "sent twice: it is there");
        var channel = (await See(id))["channels"]!.AsArray().Single()!;
        (channel.Text("/instrument"), channel.Text("/kind"), (bool)channel["simulated"]!).ShouldBe(("vac-1", "vacuum", false));
        var trace = await Read(await server.Http.GetAsync($"/api/rigs/{id}/instruments/trace?channel={(int)channel["id"]!}"));
        trace["ms"]!.AsArray().Count.ShouldBe(240);
        var taken = await Tell(id, "take", new { @as = "vacuum", by = "Ottoline Marsh", channel = (int)channel["id"]! });
        taken.Text("/assessment/commission/dry/state").ShouldBe("passed");
        taken["records"]!.AsArray().Last()!.Text("/by").ShouldBe("Ottoline Marsh, vac-1");
        var part = await Tell(id, "take", new
        {
            @as = "vacuum",
            by = "Wren",
            channel = (int)channel["id"]!,
            fromMs = (long)trace["ms"]![100]!,
            toMs = (long)trace["ms"]![160]!,
        });
        part["records"]!.AsArray().Count(r => r!.Text("/by") == "Wren, vac-1").ShouldBe(61, "what is drawn is what is taken");
        (await See(id)).Text("/said/headline/template").ShouldContain("vac-1");
    }

    [Fact]
    public async Task What_cannot_be_read_is_refused_named_and_counted()
    {
        var id = await Split();
        using var client = await Connect(await Listen(id));
        (await Publish(client, Job(id), Vacuum(0, 50), "{}")).ShouldBe(MqttClientPublishReasonCode.PayloadFormatInvalid);
        (await Publish(client, Job(Guid.NewGuid().ToString()), Vacuum(0, 50))).ShouldBe(MqttClientPublishReasonCode.NotAuthorized);
        var refused = (await See(id))["refused"]!.AsArray().Select(r => r!.Text("/reason")).ToList();
        refused.ShouldContain(r => r.StartsWith("version"));
        refused.ShouldContain(r => r.StartsWith("no rig"));
        (await See(id))["channels"]!.AsArray().Count.ShouldBe(0);
        var heard = (await client.SubscribeAsync("vanto/#")).Items.Single().ResultCode;
        heard.ShouldBe(MqttClientSubscribeResultCode.NotAuthorized, "the broker gives nothing away");
    }

    /// <summary>Random bytes at the door, half messages, a flood: what it acknowledged is kept, and it goes on.</summary>
    [Fact]
    public async Task Noise_and_a_flood_do_not_stop_it()
    {
        var id = await Split();
        var port = await Listen(id);
        var chance = new Random(3);
        for (var i = 0; i < 40; i++)
        {
            using var socket = new TcpClient();
            await socket.ConnectAsync(IPAddress.Loopback, port);
            var bytes = new byte[chance.Next(1, 400)];
            chance.NextBytes(bytes);
            if (i % 2 == 0)
                bytes[0] = 0x10;
            await socket.GetStream().WriteAsync(bytes);
        }
        using var flood = await Connect(port);
        var acknowledged = 0;
        try
        {
            for (var n = 0; n < 6000; n += 200)
                acknowledged += (await Task.WhenAll(Enumerable.Range(n, 200).Select(k => Publish(flood, Job(id), Vacuum(k, 100)))))
                    .Count(c => c == MqttClientPublishReasonCode.Success);
        }
        catch (Exception e) when (e is MQTTnet.Exceptions.MqttCommunicationException or MQTTnet.Exceptions.MqttClientDisconnectedException
            or OperationCanceledException)
        {
            // Sent away for its flood.
        }
        acknowledged.ShouldBeGreaterThan(500);
        await using var scope = server.Services.CreateAsyncScope();
        var log = scope.ServiceProvider.GetRequiredService<ReadingLog>();
        var kept = await log.Count((await log.Channels(Guid.Parse(id))).Single().Id);
        kept.ShouldBeGreaterThanOrEqualTo(acknowledged);
        using var again = await Connect(port);
        (await Publish(again, Job(id), new InstrumentReading("n2", InstrumentQuantity.GaugePressure, 2.6e6, Noon, 1, ReadingQuality.Good)))
            .ShouldBe(MqttClientPublishReasonCode.Success);
    }

    /// <summary>Simulated instruments send through the same door; each scene is judged as what it hides, and says that it is simulated.</summary>
    [Fact]
    public async Task A_simulated_circuit_is_proved_wet_through_the_broker()
    {
        var id = await Split();
        await Tell(id, "scene", new { scene = "wetCircuit", rate = 600, seed = 3 });
        JsonNode seen;
        do
        {
            await Task.Delay(200);
            seen = await See(id);
        }
        while ((double)seen["scene"]!["seconds"]! < 2450);
        await Tell(id, "scene/stop", new { });
        var channel = seen["channels"]!.AsArray().Single()!;
        ((bool)channel["simulated"]!).ShouldBeTrue();
        var taken = await Tell(id, "take", new { @as = "vacuum", by = "Wren", channel = (int)channel["id"]! });
        taken.Text("/assessment/commission/dry/words/template").ShouldContain("Wet");
        taken["records"]!.AsArray().Last()!.Text("/by").ShouldBe("Wren, vac-1, simulated");
    }

    /// <summary>Stopped before it connects, while it connects and while a message is on its way: it ends, and says nothing went wrong.</summary>
    [Fact]
    public async Task A_scene_is_stopped_at_any_moment()
    {
        var id = await Split();
        for (var stops = 0; stops < 25; stops++)
        {
            await Tell(id, "scene", new { scene = "running", rate = 600, seed = stops + 1 });
            await Task.Delay(stops * 7);
            var seen = await Tell(id, "scene/stop", new { });
            seen["scene"].ShouldBeNull($"stopped after {stops * 7} ms");
        }
    }

    [Fact]
    public async Task A_loggers_file_is_looked_at_confirmed_and_kept()
    {
        var id = await Split();
        var text = "Time;Cabin (°C);Suction (psi)\n" + string.Join('\n', Enumerable.Range(0, 40).Select(i =>
            $"2027-03-02 14:{i:00}:00;{(33 - 0.2 * i).ToString(System.Globalization.CultureInfo.InvariantCulture)};120"));
        var content = Convert.ToBase64String(Encoding.UTF8.GetBytes(text));
        var looked = await Tell(id, "import", new { content, mapping = (object?)null });
        looked["guess"]!["columns"]!.AsArray()[2]!["units"]!.AsArray().Count.ShouldBe(2, "psi is asked");
        looked["read"].ShouldBeNull();
        var mapping = new { columns = new[] { new { index = 1, unit = "°C", instrument = "hygro-cabin" } }, zoneMin = 60, start = (string?)null, clockS = 0 };
        var kept = await Tell(id, "import", new { content, mapping });
        ((int)kept["read"]!["readings"]!).ShouldBe(40);
        var channel = (await See(id))["channels"]!.AsArray().Single()!;
        channel.Text("/state").ShouldBe("kept");
        ((long)channel["fromMs"]!).ShouldBe(new DateTimeOffset(2027, 3, 2, 13, 0, 0, TimeSpan.Zero).ToUnixTimeMilliseconds());
        var cooled = await Tell(id, "take", new { @as = "cooling", by = "Wren", channel = (int)channel["id"]! });
        cooled["records"]!.AsArray().Count.ShouldBe(40);
        var refused = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/import", new { content = "AAAA", mapping = (object?)null }),
            HttpStatusCode.BadRequest);
        refused.Text("/detail").ShouldContain("CSV");
        var wrong = await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/take", new { @as = "vacuum", by = "Wren", channel = (int)channel["id"]! });
        (await Read(wrong, HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("pressure.absolute");
    }

    [Fact]
    public async Task Limits_of_what_is_simulated_and_drawn_are_said()
    {
        var id = await Split();
        async Task Refused(string path, object body, string words) =>
            (await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/{path}", body), HttpStatusCode.BadRequest)).Text("/detail")
                .ShouldContain(words);
        await Refused("scene", new { scene = "dryCircuit", rate = 6000, seed = 1 }, "1 to 600");
        await Refused("take", new { @as = "vacuum", by = "Wren" }, "Which instrument");
        await Refused("take", new { @as = "startUp", by = "" }, "Who takes");
        await Refused("take", new { @as = "startUp", by = "Wren" }, "nothing stands steady");
        (await server.Http.GetAsync($"/api/rigs/{Guid.NewGuid()}/instruments")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await server.Http.GetAsync($"/api/rigs/{id}/instruments/trace?channel=99")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}

/// <summary>Off is off.</summary>
public class SilentInstrumentTests(RunningServer server) : IClassFixture<RunningServer>
{
    [Fact]
    public async Task Nobody_is_heard_until_somebody_listens_and_nobody_after()
    {
        var id = (await server.Begin()).Id();
        var desk = server.Services.GetRequiredService<InstrumentDesk>();
        desk.Broker.On.ShouldBeFalse();
        var view = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/broker", new { on = true }));
        var port = (int)view["port"]!;
        ((bool)view["wide"]!).ShouldBeFalse();
        await Read(await server.Http.PostAsJsonAsync("/api/crew/share", new { on = true, tls = false }));
        desk.Broker.Wide.ShouldBeTrue("the crew's network is open");
        await Read(await server.Http.PostAsJsonAsync("/api/crew/share", new { on = false, tls = false }));
        desk.Broker.Wide.ShouldBeFalse("and shut again");
        using (var there = new TcpClient())
            await there.ConnectAsync(IPAddress.Loopback, port);
        await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{id}/instruments/broker", new { on = false }));
        using var gone = new TcpClient();
        await Should.ThrowAsync<SocketException>(() => gone.ConnectAsync(IPAddress.Loopback, port));
    }
}
