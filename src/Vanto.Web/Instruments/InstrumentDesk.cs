using System.Collections.Concurrent;
using System.Net;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Instruments;
using Vanto.Instruments;
using Vanto.Storage;
using Vanto.Web.Crew;

namespace Vanto.Web.Instruments;

/// <summary>A channel as it stands now.</summary>
/// <param name="Feed">What came.</param>
public sealed record LiveChannel(Guid Rig, string Instrument, InstrumentQuantity Quantity, bool Simulated, InstrumentFeed Feed);

/// <summary>Instruments of all rigs: the broker, what comes from it, what is simulated. All off until somebody switches it on.</summary>
public sealed class InstrumentDesk : IAsyncDisposable
{
    /// <summary>Channels at one rig; more are no instruments. The product's own choice.</summary>
    private const int MostChannels = 100;

    private const int MostScenes = 3, ImportedAtOnce = 20_000;

    /// <summary>Simulated seconds in a second.</summary>
    public const double SlowestRate = 1, FastestRate = 600;

    private readonly ReadingQueue _queue;
    private readonly IServiceScopeFactory _scopes;
    private readonly TimeProvider _clock;
    private readonly CrewGate _gate;
    private readonly CrewBook _book;
    private readonly SemaphoreSlim _turn = new(1);
    private readonly ConcurrentDictionary<(Guid Rig, string Instrument, InstrumentQuantity Quantity, bool Simulated), LiveChannel> _channels = new();
    private readonly ConcurrentDictionary<Guid, ScenePlayer> _scenes = new();
    private readonly ConcurrentDictionary<Guid, bool> _rigs = new();

    public InstrumentDesk(ReadingQueue queue, IServiceScopeFactory scopes, TimeProvider clock, CrewGate gate, CrewBook book)
    {
        (_queue, _scopes, _clock, _gate, _book) = (queue, scopes, clock, gate, book);
        Broker = new InstrumentBroker(Admit, Keep, clock);
    }

    public InstrumentBroker Broker { get; }

    /// <summary>This machine's own instruments come in; from the crew's network those that show what a device of the crew shows, and may record.</summary>
    private InstrumentPass? Admit(InstrumentCaller caller) => IPAddress.IsLoopback(caller.Address) ? new InstrumentPass(null)
        : Joined(_gate.On ? _book.Who(caller.Password) : null);

    /// <summary>What a device of the crew may send to: it may record, and at the one rig that it is shown, where it is shown one.</summary>
    public static InstrumentPass? Joined(CrewDevice? device) =>
        device is not null && CrewRights.Of(device.Role).Contains(CrewRight.Record) ? new InstrumentPass(device.Rig) : null;

    /// <summary>Heard as widely as the crew's network is open now.</summary>
    public async Task Follow()
    {
        if (Broker.On)
            await Broker.Open(_gate.On);
    }

    /// <summary>Switches the broker on or off; it is heard on the crew's network where that is open.</summary>
    public async Task Switch(bool on)
    {
        if (on)
            await Broker.Open(_gate.On);
        else
        {
            foreach (var rig in _scenes.Keys)
                await Stop(rig);
            await Broker.Close();
        }
    }

    private async Task<bool> Keep(Guid rig, InstrumentReading r)
    {
        if (!await IsThere(rig))
            return false;
        var key = (rig, r.Instrument, r.Quantity, r.Simulated);
        if (!_channels.ContainsKey(key) && _channels.Keys.Count(k => k.Rig == rig) >= MostChannels)
            return false;
        var live = _channels.GetOrAdd(key, k => new LiveChannel(k.Rig, k.Instrument, k.Quantity, k.Simulated, new InstrumentFeed()));
        var now = _clock.GetUtcNow();
        Arrival arrival;
        lock (live)
            arrival = live.Feed.Take(r, now);
        // One that came twice is written too, which changes nothing: so it is acknowledged only when the first is on the disk.
        await _queue.Keep(Row(rig, arrival == Arrival.Suspect ? r with { Quality = ReadingQuality.Suspect } : r, now, arrival == Arrival.Late));
        return true;
    }

    /// <summary>A reading as the store holds it.</summary>
    internal static NewReading Row(Guid rig, InstrumentReading r, DateTimeOffset now, bool late) => new(rig, r.Instrument,
        InstrumentQuantities.Name(r.Quantity), r.Simulated, r.At.ToUnixTimeMilliseconds(), r.Seq, r.Value, (int)r.Quality, now.ToUnixTimeMilliseconds(), late);

    /// <summary>Keeps the readings of a logger's file.</summary>
    public async Task Import(Guid rig, IReadOnlyList<InstrumentReading> readings)
    {
        var now = _clock.GetUtcNow();
        await using var scope = _scopes.CreateAsyncScope();
        var log = scope.ServiceProvider.GetRequiredService<ReadingLog>();
        await log.AtOnce(async () =>
        {
            foreach (var part in readings.Chunk(ImportedAtOnce))
                await log.Add([.. part.Select(r => Row(rig, r, now, late: false))]);
        });
    }

    /// <summary>A rig that was removed takes no readings any more.</summary>
    public async Task Removed(Guid rig)
    {
        await Stop(rig);
        _rigs.TryRemove(rig, out _);
        foreach (var key in _channels.Keys.Where(k => k.Rig == rig))
            _channels.TryRemove(key, out _);
    }

    private async Task<bool> IsThere(Guid rig)
    {
        if (_rigs.ContainsKey(rig))
            return true;
        await using var scope = _scopes.CreateAsyncScope();
        if (await scope.ServiceProvider.GetRequiredService<RigLog>().Find(rig) is null)
            return false;
        _rigs[rig] = true;
        return true;
    }

    /// <summary>Channels of a rig that have sent something since the start.</summary>
    public IReadOnlyList<LiveChannel> Live(Guid rig) => [.. _channels.Values.Where(c => c.Rig == rig)];

    /// <summary>What is simulated at a rig; null for nothing.</summary>
    public ScenePlayer? SceneOf(Guid rig) => _scenes.GetValueOrDefault(rig);

    /// <summary>Begins a scene at a rig in the place of the one before, whose readings are let go.</summary>
    /// <exception cref="InputException">Too fast, or too many at once.</exception>
    public async Task Simulate(Guid rig, SceneKind kind, double rate, ulong seed)
    {
        if (!(rate >= SlowestRate && rate <= FastestRate))
            throw new InputException("rate", $"{rate}", $"{rate} simulated seconds in a second; {SlowestRate} to {FastestRate} are");
        await _turn.WaitAsync();
        try
        {
            await Stop(rig);
            if (_scenes.Count >= MostScenes)
                throw new InputException("scene", $"{kind}", $"{MostScenes} rigs are simulated already: stop one of them first");
            await Forget(rig);
            await Broker.Open(_gate.On);
            _scenes[rig] = new ScenePlayer(rig, kind, seed, rate, _clock.GetUtcNow(), Broker.Port);
        }
        finally
        {
            _turn.Release();
        }
    }

    private async Task Forget(Guid rig)
    {
        foreach (var key in _channels.Keys.Where(k => k.Rig == rig && k.Simulated))
            _channels.TryRemove(key, out _);
        await using var scope = _scopes.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<ReadingLog>().ForgetSimulated(rig);
    }

    /// <summary>Ends the scene at a rig; what it sent stays until the next one.</summary>
    public async Task Stop(Guid rig)
    {
        if (_scenes.TryRemove(rig, out var playing))
            await playing.DisposeAsync();
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        foreach (var rig in _scenes.Keys)
            await Stop(rig);
        await Broker.DisposeAsync();
        _turn.Dispose();
    }
}
