using System.Threading.Channels;
using Vanto.Storage;

namespace Vanto.Web.Instruments;

/// <summary>
/// Readings on their way into the store: many are written at once, and each is acknowledged only when its write is on the disk.
/// </summary>
public sealed class ReadingQueue : IAsyncDisposable
{
    private const int MostWaiting = 20_000;
    private const int MostAtOnce = 1000;

    private readonly Channel<(NewReading Reading, TaskCompletionSource Kept)> _waiting =
        Channel.CreateBounded<(NewReading, TaskCompletionSource)>(new BoundedChannelOptions(MostWaiting) { SingleReader = true });

    private readonly Task _writing;

    public ReadingQueue(IServiceScopeFactory scopes)
    {
        _writing = Task.Run(() => Write(scopes));
    }

    /// <summary>Keeps a reading; ends when it is on the disk, and fails where it could not be written.</summary>
    public async Task Keep(NewReading reading)
    {
        var kept = new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously);
        await _waiting.Writer.WriteAsync((reading, kept));
        await kept.Task;
    }

    private async Task Write(IServiceScopeFactory scopes)
    {
        var batch = new List<(NewReading Reading, TaskCompletionSource Kept)>(MostAtOnce);
        while (await _waiting.Reader.WaitToReadAsync())
        {
            batch.Clear();
            while (batch.Count < MostAtOnce && _waiting.Reader.TryRead(out var one))
                batch.Add(one);
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                await scope.ServiceProvider.GetRequiredService<ReadingLog>().Add([.. batch.Select(b => b.Reading)]);
                foreach (var (_, kept) in batch)
                    kept.SetResult();
            }
            catch (Exception e)
            {
                // Whoever sent it is told, and sends again: nothing is acknowledged that is not kept.
                foreach (var (_, kept) in batch)
                    kept.SetException(e);
            }
        }
    }

    /// <inheritdoc />
    public async ValueTask DisposeAsync()
    {
        _waiting.Writer.TryComplete();
        await _writing;
    }
}
