using System.Collections.Concurrent;
using System.Net;
using MQTTnet.Protocol;
using MQTTnet.Server;
using Vanto.Core.Instruments;

namespace Vanto.Instruments;

/// <summary>Who wants to connect.</summary>
/// <param name="Address">Where it comes from.</param>
/// <param name="User">Name it gives.</param>
/// <param name="Password">What it shows.</param>
public sealed record InstrumentCaller(IPAddress Address, string User, string Password);

/// <summary>What who is let in may send to.</summary>
/// <param name="Only">The one rig; null is all.</param>
public sealed record InstrumentPass(Guid? Only);

/// <summary>Says whether somebody may send; asked as they connect and again at each message, so that who is sent away is heard no longer.</summary>
/// <returns>Null where they may not.</returns>
public delegate InstrumentPass? AdmitInstrument(InstrumentCaller caller);

/// <summary>Keeps a reading; its message is acknowledged only after that.</summary>
/// <param name="rig">It is for.</param>
/// <param name="reading">As sent.</param>
/// <returns>True where it is kept, or was there already; false where there is no such rig, or too many channels.</returns>
public delegate Task<bool> KeepReading(Guid rig, InstrumentReading reading);

/// <summary>
/// The broker that instruments send to: off until somebody switches it on, on this machine alone unless it is bound wider. It takes readings and gives
/// none away; a message is acknowledged when its reading is kept.
/// </summary>
public sealed class InstrumentBroker(AdmitInstrument admit, KeepReading keep, TimeProvider clock, BrokerLimits? limits = null) : IAsyncDisposable
{
    public const int UsualPort = 1883;

    /// <summary>Messages of one client in a second, and at once; more is no instrument. The product's own choice.</summary>
    private const double MostPerS = 400, MostAtOnce = 2000;

    private const string CallerItem = "caller", AnswersItem = "answers";
    private const int MostBuckets = 1000;
    private const int MostRefusals = 50;
    private const int PortsTried = 20;

    private readonly SemaphoreSlim _turn = new(1);
    private readonly ConcurrentDictionary<string, Bucket> _buckets = new();
    private readonly ConcurrentDictionary<string, long> _refused = new();
    private readonly ConcurrentDictionary<string, string> _connected = new();
    private MqttServer? _server;

    private sealed class Bucket(DateTimeOffset at)
    {
        private readonly Lock _lock = new();
        private double _left = MostAtOnce;
        private DateTimeOffset _at = at;

        public bool Take(DateTimeOffset now)
        {
            lock (_lock)
            {
                _left = Math.Min(MostAtOnce, _left + Math.Max(0, (now - _at).TotalSeconds) * MostPerS);
                _at = now;
                if (_left < 1)
                    return false;
                _left--;
                return true;
            }
        }
    }

    /// <summary>It listens.</summary>
    public bool On => _server is not null;

    public int Port { get; private set; }

    /// <summary>Others than this machine are heard.</summary>
    public bool Wide { get; private set; }

    /// <summary>Clients that are connected.</summary>
    public IReadOnlyList<string> Connected => [.. _connected.Keys.Order(StringComparer.Ordinal)];

    /// <summary>Messages that were refused, by their reason.</summary>
    public IReadOnlyDictionary<string, long> Refused => _refused.ToDictionary();

    /// <summary>Switches it on; where it is on in another width it begins anew.</summary>
    /// <param name="wide">Heard from other machines too.</param>
    /// <param name="wanted">Port; the next free one is taken where it is in use. 0 is any.</param>
    public async Task Open(bool wide, int wanted = UsualPort)
    {
        await _turn.WaitAsync();
        try
        {
            if (On && Wide == wide)
                return;
            await Shut();
            for (var port = wanted; ; port++)
            {
                var server = Made(wide, port == 0 ? Free() : port, out var taken);
                try
                {
                    await server.StartAsync();
                    (_server, Port, Wide) = (server, taken, wide);
                    return;
                }
                catch (System.Net.Sockets.SocketException) when (port > 0 && port < wanted + PortsTried)
                {
                    server.Dispose();
                }
            }
        }
        finally
        {
            _turn.Release();
        }
    }

    /// <summary>Switches it off.</summary>
    public async Task Close()
    {
        await _turn.WaitAsync();
        try
        {
            await Shut();
        }
        finally
        {
            _turn.Release();
        }
    }

    private async Task Shut()
    {
        if (_server is { } server)
        {
            _server = null;
            await server.StopAsync();
            server.Dispose();
            _connected.Clear();
        }
    }

    private static int Free()
    {
        using var probe = new System.Net.Sockets.TcpListener(IPAddress.Loopback, 0);
        probe.Start();
        return ((IPEndPoint)probe.LocalEndpoint).Port;
    }

    private MqttServer Made(bool wide, int port, out int taken)
    {
        taken = port;
        var factory = new MqttServerFactory();
        var server = factory.CreateMqttServer(factory.CreateServerOptionsBuilder().WithoutDefaultEndpoint().Build(),
            [new BoundedListener(wide ? IPAddress.Any : IPAddress.Loopback, port, limits ?? new BrokerLimits())]);
        server.ValidatingConnectionAsync += Admit;
        server.InterceptingPublishAsync += Take;
        server.InterceptingSubscriptionAsync += e =>
        {
            // It gives nothing away: what was read is seen on Vanto's pages, by who may.
            (e.ProcessSubscription, e.Response.ReasonCode) = (false, MqttSubscribeReasonCode.NotAuthorized);
            return Task.CompletedTask;
        };
        server.ClientConnectedAsync += e =>
        {
            _connected[e.ClientId] = e.ClientId;
            return Task.CompletedTask;
        };
        server.ClientDisconnectedAsync += e =>
        {
            _connected.TryRemove(e.ClientId, out _);
            return Task.CompletedTask;
        };
        return server;
    }

    private Task Admit(ValidatingConnectionEventArgs e)
    {
        var address = e.RemoteEndPoint is IPEndPoint from ? from.Address : IPAddress.None;
        var caller = new InstrumentCaller(address, e.UserName ?? "", e.Password ?? "");
        e.SessionItems[CallerItem] = caller;
        e.SessionItems[AnswersItem] = e.ProtocolVersion >= MQTTnet.Formatter.MqttProtocolVersion.V500;
        if (admit(caller) is null)
        {
            Count("not let in");
            e.ReasonCode = MqttConnectReasonCode.NotAuthorized;
        }
        return Task.CompletedTask;
    }

    private async Task Take(InterceptingPublishEventArgs e)
    {
        await Judge(e);
        // Before version 5 an acknowledgement has no reason in it: what is not kept is not acknowledged, and the sender sends again.
        if (e.Response.ReasonCode != MqttPubAckReasonCode.Success && e.SessionItems[AnswersItem] is not true
            && e.ApplicationMessage.QualityOfServiceLevel != MqttQualityOfServiceLevel.AtMostOnce)
            e.CloseConnection = true;
    }

    /// <summary>Strangers share what their address has, whatever they call themselves; on this machine each client has its own.</summary>
    private Bucket BucketOf(InterceptingPublishEventArgs e)
    {
        if (_buckets.Count > MostBuckets)
            _buckets.Clear();
        var of = e.SessionItems[CallerItem] is InstrumentCaller { Address: var from } && !IPAddress.IsLoopback(from) ? $"{from}" : e.ClientId;
        return _buckets.GetOrAdd(of, _ => new Bucket(clock.GetUtcNow()));
    }

    private async Task Judge(InterceptingPublishEventArgs e)
    {
        // Nothing is passed on to anybody.
        e.ProcessPublish = false;
        if (!BucketOf(e).Take(clock.GetUtcNow()))
        {
            Count("too many messages");
            (e.Response.ReasonCode, e.CloseConnection) = (MqttPubAckReasonCode.QuotaExceeded, true);
            return;
        }
        if (e.SessionItems[CallerItem] is not InstrumentCaller caller || admit(caller) is not { } pass)
        {
            Count("no longer let in");
            (e.Response.ReasonCode, e.CloseConnection) = (MqttPubAckReasonCode.NotAuthorized, true);
            return;
        }
        var topic = e.ApplicationMessage.Topic ?? "";
        if (InstrumentMessage.Parts(topic) is { Last: "status" })
            return;
        var (job, reading, refused) = InstrumentMessage.Read(topic, e.ApplicationMessage.Payload);
        if (reading is null)
        {
            Count(refused);
            e.Response.ReasonCode = MqttPubAckReasonCode.PayloadFormatInvalid;
        }
        else if (!Guid.TryParseExact(job, "N", out var rig) || (pass.Only ?? rig) != rig || !await keep(rig, reading))
        {
            Count($"no rig {job} for who sends, or too many instruments at it");
            e.Response.ReasonCode = MqttPubAckReasonCode.NotAuthorized;
        }
    }

    private void Count(string reason)
    {
        if (_refused.Count < MostRefusals || _refused.ContainsKey(reason))
            _refused.AddOrUpdate(reason, 1, (_, n) => n + 1);
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        await Close();
        _turn.Dispose();
    }
}
