using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using MQTTnet;
using MQTTnet.Exceptions;
using MQTTnet.Protocol;
using Vanto.Core.Instruments;
using Vanto.Storage;

namespace Vanto.Bench;

/// <summary>Promises of the instruments: ten of them for minutes, and a trace of a million readings.</summary>
public static class InstrumentPromises
{
    private const int Clients = 10, Hertz = 10;
    private const int Million = 1_000_000;

    /// <summary>Measures both.</summary>
    /// <param name="forS">Seconds that the ten send.</param>
    public static async Task<IReadOnlyList<Measured>> Measure(int forS)
    {
        var folder = Directory.CreateTempSubdirectory("vanto-bench-");
        try
        {
            return [.. await Ten(Path.Combine(folder.FullName, "ten.db"), forS), await Long(Path.Combine(folder.FullName, "long.db"))];
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }

    private static async Task<IReadOnlyList<Measured>> Ten(string store, int forS)
    {
        var process = await ServerPromises.Start(store, "--demo");
        using var http = new HttpClient { BaseAddress = ServerPromises.Address };
        var rig = await ServerPromises.Rig(http, "Marigold");
        var view = await (await http.PostAsJsonAsync($"/api/rigs/{rig}/instruments/broker", new { on = true })).Content.ReadFromJsonAsync<JsonNode>();
        var (port, job) = ((int)view!["port"]!, (string)view["job"]!);
        var (acknowledged, cuts, times, looks) = (0, 0, new List<double>(), new List<double>());
        var began = Stopwatch.StartNew();
        async Task Send(int n)
        {
            using var client = new MqttClientFactory().CreateMqttClient();
            var options = new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", port).Build();
            await client.ConnectAsync(options);
            for (var i = 0; i < Hertz * forS; i++)
            {
                var wait = TimeSpan.FromSeconds(i / (double)Hertz) - began.Elapsed;
                if (wait > TimeSpan.Zero)
                    await Task.Delay(wait);
                var reading = new InstrumentReading($"clamp-{n}", InstrumentQuantity.Current, 5 + i % 7, DateTimeOffset.UtcNow, i, ReadingQuality.Good);
                var from = Stopwatch.GetTimestamp();
                // As an instrument does: what was not acknowledged is sent again.
                for (var sent = false; !sent;)
                    try
                    {
                        await client.PublishAsync(new MqttApplicationMessageBuilder()
                            .WithTopic(InstrumentMessage.Topic(job, reading.Instrument, reading.Quantity)).WithPayload(InstrumentMessage.Write(job, reading))
                            .WithQualityOfServiceLevel(MqttQualityOfServiceLevel.AtLeastOnce).Build());
                        sent = true;
                    }
                    catch (MqttCommunicationException)
                    {
                        Interlocked.Increment(ref cuts);
                        await Task.Delay(500);
                        await client.ConnectAsync(options);
                    }
                lock (times)
                {
                    acknowledged++;
                    times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
                }
            }
        }

        async Task Look()
        {
            while (began.Elapsed.TotalSeconds < forS)
            {
                await Task.Delay(1000);
                var from = Stopwatch.GetTimestamp();
                var seen = await http.GetFromJsonAsync<JsonNode>($"/api/rigs/{rig}/instruments");
                if (seen!["channels"]!.AsArray().FirstOrDefault() is { } channel)
                    await http.GetStringAsync($"/api/rigs/{rig}/instruments/trace?channel={channel["id"]}");
                looks.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            }
        }

        await Task.WhenAll([.. Enumerable.Range(0, Clients).Select(Send), Look()]);
        ServerPromises.Stop(process); // killed: only what is on the disk is counted
        await using var kept = new VantoStore(StoreFile.Options(store));
        var stored = kept.Readings.Count();
        return
        [
            Measured.Of($"{Clients} instruments at {Hertz} Hz for {forS} s, then killed: acknowledged and lost", 0, "", [acknowledged - stored]),
            Measured.Of("connections that broke meanwhile", 0, "", [cuts]),
            Measured.Of("one reading sent until it is acknowledged", 100, "ms", times),
            Measured.Of("the page's look each second meanwhile", 100, "ms", looks),
        ];
    }

    private static async Task<Measured> Long(string store)
    {
        var process = await ServerPromises.Start(store, "--demo");
        using var http = new HttpClient { BaseAddress = ServerPromises.Address };
        var rig = await ServerPromises.Rig(http, "Marigold");
        ServerPromises.Stop(process);
        await using (var open = new VantoStore(StoreFile.Options(store)))
            foreach (var part in Enumerable.Range(0, Million).Chunk(50_000))
                await new ReadingLog(open).Add([.. part.Select(i => new NewReading(Guid.Parse(rig), "clamp", "current", false, 1_700_000_000_000 + 1000L * i, i,
                    5 + i % 11 * 0.1, 0, 0, false))]);
        process = await ServerPromises.Start(store, "--demo");
        var times = new List<double>();
        var channel = (await http.GetFromJsonAsync<JsonNode>($"/api/rigs/{rig}/instruments"))!["channels"]!.AsArray().Single()!["id"];
        for (var run = 0; run < 12; run++)
        {
            var from = Stopwatch.GetTimestamp();
            await http.GetStringAsync($"/api/rigs/{rig}/instruments/trace?channel={channel}");
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }
        ServerPromises.Stop(process);
        return Measured.Of("trace of 1,000,000 readings opened", 300, "ms", times);
    }
}
