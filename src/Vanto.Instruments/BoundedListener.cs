using System.Net;
using System.Net.Sockets;
using MQTTnet.Adapter;
using MQTTnet.Diagnostics.Logger;
using MQTTnet.Formatter;
using MQTTnet.Implementations;
using MQTTnet.Server;

namespace Vanto.Instruments;

/// <summary>What a client of the broker may cost before and after anybody knows who it is. The product's own choice; a reading has some 200 bytes.</summary>
/// <param name="FirstPacket">Bytes of the first packet, which says who connects.</param>
/// <param name="Packet">Bytes of each that follows.</param>
/// <param name="FirstWithin">So soon the first one is there.</param>
/// <param name="PerAddress">Connections of one address at once.</param>
/// <param name="PerThisMachine">Connections of this machine itself.</param>
/// <param name="All">Connections at once.</param>
public sealed record BrokerLimits(int FirstPacket = 4096, int Packet = 8192, TimeSpan? FirstWithin = null, int PerAddress = 8, int PerThisMachine = 400,
    int All = 500);

/// <summary>Listens for the broker: a stranger is counted before anything is read, and no packet is taken in that states a length no reading has.</summary>
public sealed class BoundedListener(IPAddress address, int port, BrokerLimits limits) : IMqttServerAdapter
{
    private static readonly TimeSpan UsualFirst = TimeSpan.FromSeconds(5);
    private const int WriterBytes = 4096, WriterMost = 65535;

    private readonly CancellationTokenSource _ended = new();
    private readonly ConnectionsFrom _strangers = new(limits.PerAddress), _own = new(limits.PerThisMachine);
    private TcpListener? _listener;
    private int _open;

    public Func<IMqttChannelAdapter, Task> ClientHandler { get; set; } = _ => Task.CompletedTask;

    public Task StartAsync(MqttServerOptions options, IMqttNetLogger logger)
    {
        _listener = new TcpListener(address, port);
        _listener.Start();
        _ = Accept(_listener, logger);
        return Task.CompletedTask;
    }

    public Task StopAsync()
    {
        _ended.Cancel();
        _listener?.Stop();
        return Task.CompletedTask;
    }

    private async Task Accept(TcpListener listener, IMqttNetLogger logger)
    {
        while (!_ended.IsCancellationRequested)
        {
            Socket socket;
            try
            {
                socket = await listener.AcceptSocketAsync(_ended.Token);
            }
            catch (Exception e) when (e is OperationCanceledException or SocketException or ObjectDisposedException)
            {
                if (_ended.IsCancellationRequested)
                    return;
                continue;
            }
            _ = Serve(socket, logger);
        }
    }

    private async Task Serve(Socket socket, IMqttNetLogger logger)
    {
        using (socket)
        {
            if (Interlocked.Increment(ref _open) <= limits.All && (socket.RemoteEndPoint as IPEndPoint)?.Address is { } from)
                try
                {
                    await (IPAddress.IsLoopback(from) ? _own : _strangers).Held(from, () => Talk(socket, logger));
                }
                catch (Exception e) when (e is IOException or SocketException or ObjectDisposedException or OperationCanceledException)
                {
                    // Whatever ended it, it is ended.
                }
            Interlocked.Decrement(ref _open);
        }
    }

    private async Task Talk(Socket socket, IMqttNetLogger logger)
    {
        socket.NoDelay = true;
        await using var stream = new BoundedPackets(new NetworkStream(socket, ownsSocket: true), limits);
        using var soon = new Timer(_ =>
        {
            if (!stream.Introduced)
                socket.Dispose();
        }, null, limits.FirstWithin ?? UsualFirst, Timeout.InfiniteTimeSpan);
        using var client = new MqttChannelAdapter(new MqttTcpChannel(stream, socket.RemoteEndPoint, socket.LocalEndPoint, null),
            new MqttPacketFormatterAdapter(new MqttBufferWriter(WriterBytes, WriterMost)), logger);
        await ClientHandler(client);
    }

    public void Dispose()
    {
        StopAsync();
        _ended.Dispose();
        _listener?.Dispose();
    }
}
