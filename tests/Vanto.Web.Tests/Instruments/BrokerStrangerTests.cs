using System.Net.Sockets;
using MQTTnet;
using MQTTnet.Formatter;
using MQTTnet.Protocol;
using Vanto.Instruments;

namespace Vanto.Web.Tests.Instruments;

/// <summary>Strangers at the broker: sizes, times and numbers are limited before anybody is let in; what is not kept is acknowledged in no version.</summary>
public sealed class BrokerStrangerTests : IAsyncLifetime
{
    private static readonly BrokerLimits Tight = new(FirstWithin: TimeSpan.FromMilliseconds(400), PerThisMachine: 3);
    private readonly InstrumentBroker _broker = new(_ => new InstrumentPass(null), (_, _) => Task.FromResult(false), TimeProvider.System, Tight);

    public Task InitializeAsync() => _broker.Open(false, 0);

    public async Task DisposeAsync() => await _broker.DisposeAsync();

    private async Task<NetworkStream> Stranger() => new((await Connected()).Client, ownsSocket: true);

    private async Task<TcpClient> Connected()
    {
        var client = new TcpClient();
        await client.ConnectAsync("127.0.0.1", _broker.Port);
        return client;
    }

    private static async Task<bool> Closed(NetworkStream stream)
    {
        using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(10));
        try
        {
            return await stream.ReadAsync(new byte[64], soon.Token) == 0;
        }
        catch (IOException)
        {
            return true;
        }
    }

    /// <summary>A first packet that states 268 MB is cut off at its fifth byte.</summary>
    [Theory]
    [InlineData(new byte[] { 0x10, 0xFF, 0xFF, 0xFF, 0x7F })]
    [InlineData(new byte[] { 0x10, 0x81, 0x20 })]
    [InlineData(new byte[] { 0x10, 0x80, 0x80, 0x80, 0x80, 0x01 })]
    public async Task A_packet_that_states_more_than_any_reading_is_cut_off(byte[] begin)
    {
        await using var stranger = await Stranger();
        await stranger.WriteAsync(begin);
        (await Closed(stranger)).ShouldBeTrue();
    }

    [Fact]
    public async Task Who_does_not_say_who_it_is_is_cut_off()
    {
        await using var stranger = await Stranger();
        await stranger.WriteAsync(new byte[] { 0x10, 0x20 });
        (await Closed(stranger)).ShouldBeTrue();
    }

    [Fact]
    public async Task One_address_holds_no_more_connections_than_it_may()
    {
        var held = new List<NetworkStream>();
        for (var n = 0; n < 3; n++)
            held.Add(await Stranger());
        await using var more = await Stranger();
        (await Closed(more)).ShouldBeTrue();
        foreach (var stream in held)
            await stream.DisposeAsync();
    }

    /// <summary>Nothing is kept here: version 5 hears why, before it the connection is closed without an acknowledgement.</summary>
    [Theory]
    [InlineData(MqttProtocolVersion.V500, true)]
    [InlineData(MqttProtocolVersion.V311, false)]
    [InlineData(MqttProtocolVersion.V310, false)]
    public async Task What_is_not_kept_is_not_acknowledged(MqttProtocolVersion version, bool answered)
    {
        using var client = new MqttClientFactory().CreateMqttClient();
        await client.ConnectAsync(new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", _broker.Port).WithProtocolVersion(version).Build());
        var message = new MqttApplicationMessageBuilder().WithTopic("vanto/x").WithPayload("{}")
            .WithQualityOfServiceLevel(MqttQualityOfServiceLevel.AtLeastOnce).Build();
        if (answered)
            (await client.PublishAsync(message)).ReasonCode.ShouldNotBe(MqttClientPublishReasonCode.Success);
        else
            await Should.ThrowAsync<Exception>(() => client.PublishAsync(message));
    }

    [Fact]
    public void Packets_are_measured_however_they_are_cut()
    {
        var random = new Random(3);
        for (var n = 0; n < 300; n++)
        {
            byte[] packets = [.. Enumerable.Range(0, 5).SelectMany(_ => Packet(random.Next(300)))];
            using var stream = new BoundedPackets(new MemoryStream(packets), new BrokerLimits());
            var read = new byte[packets.Length];
            for (var at = 0; at < read.Length;)
                at += stream.Read(read, at, Math.Min(1 + random.Next(70), read.Length - at));
            read.ShouldBe(packets);
            stream.Introduced.ShouldBeTrue();
        }
    }

    private static byte[] Packet(int length) =>
        [0x30, .. length < 128 ? new[] { (byte)length } : [(byte)(length & 0x7F | 0x80), (byte)(length >> 7)], .. new byte[length]];
}
