using System.Globalization;
using MQTTnet;
using MQTTnet.Protocol;
using Vanto.Core.Instruments;

namespace Vanto.Instruments;

/// <summary>
/// Plays a simulated scene through the broker, each instrument as a client of its own: what real loggers do, without hardware. A message that is not
/// acknowledged is sent again.
/// </summary>
public sealed class ScenePlayer : IAsyncDisposable
{
    private static readonly TimeSpan Beat = TimeSpan.FromMilliseconds(100);

    private readonly CancellationTokenSource _stop = new();
    private readonly Task _playing;

    /// <param name="rig">It is for.</param>
    /// <param name="kind">Scene.</param>
    /// <param name="seed">Of its chance.</param>
    /// <param name="rate">Simulated seconds in a second.</param>
    /// <param name="from">Moment of its second 0.</param>
    /// <param name="port">Of the broker.</param>
    public ScenePlayer(Guid rig, SceneKind kind, ulong seed, double rate, DateTimeOffset from, int port)
    {
        (Rig, Rate) = (rig, rate);
        Scene = new SimulatedScene(kind, seed, from, rate);
        _playing = Task.Run(() => Play(rig.ToString("N", CultureInfo.InvariantCulture), port, _stop.Token));
    }

    public Guid Rig { get; }
    public double Rate { get; }
    public SimulatedScene Scene { get; }

    /// <summary>It goes on.</summary>
    public bool Playing => !_playing.IsCompleted;

    private async Task Play(string job, int port, CancellationToken stop)
    {
        var factory = new MqttClientFactory();
        var clients = new Dictionary<string, IMqttClient>();
        try
        {
            var began = System.Diagnostics.Stopwatch.StartNew();
            while (!stop.IsCancellationRequested)
            {
                var due = Scene.Until(began.Elapsed.TotalSeconds * Rate).ToList();
                await Task.WhenAll(due.GroupBy(r => r.Instrument).Select(async of =>
                {
                    if (!clients.TryGetValue(of.Key, out var client))
                        lock (clients)
                            clients[of.Key] = client = factory.CreateMqttClient();
                    foreach (var reading in of)
                        await Send(client, job, of.Key, reading, port, stop);
                }));
                await Task.Delay(Beat, stop);
            }
        }
        catch (Exception) when (stop.IsCancellationRequested)
        {
            // Asked to stop: what it was about to send is broken off, however its client calls that.
        }
        finally
        {
            foreach (var client in clients.Values)
                client.Dispose();
        }
    }

    private static async Task Send(IMqttClient client, string job, string instrument, InstrumentReading reading, int port, CancellationToken stop)
    {
        var message = new MqttApplicationMessageBuilder().WithTopic(InstrumentMessage.Topic(job, instrument, reading.Quantity))
            .WithPayload(InstrumentMessage.Write(job, reading)).WithQualityOfServiceLevel(MqttQualityOfServiceLevel.AtLeastOnce).Build();
        while (true)
            try
            {
                if (!client.IsConnected)
                    await client.ConnectAsync(new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", port).WithClientId($"{job}-{instrument}")
                        .WithWillTopic(InstrumentMessage.StatusTopic(job, instrument)).WithWillPayload("offline").WithWillRetain().Build(), stop);
                await client.PublishAsync(message, stop);
                return;
            }
            catch (Exception e) when (e is MQTTnet.Exceptions.MqttCommunicationException or InvalidOperationException && !stop.IsCancellationRequested)
            {
                await Task.Delay(Beat, stop);
            }
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        await _stop.CancelAsync();
        await _playing;
        _stop.Dispose();
    }
}
