namespace Vanto.Web;

/// <summary>Where a long run stands: 0 while it runs, 1 and on while so many wait before it with it; null where it is not known, or over.</summary>
public sealed record RunPlace(int? Place);

/// <summary>
/// Long runs, at most two at once; the rest wait in the order they came. A run ends when the page that asked leaves. The page may name its run
/// by a header and ask where it stands.
/// </summary>
public sealed class LongRuns(ILogger<LongRuns> log)
{
    /// <summary>Header with a name of the page's own for its run.</summary>
    public const string NameHeader = "Vanto-Run";

    private const int AtOnce = 2;
    private const int MostWaiting = 200;

    private readonly Lock _gate = new();
    private readonly LinkedList<Waiting> _queue = [];
    private readonly Dictionary<string, int> _running = [];
    private int _busy;

    private sealed record Waiting(string Name, TaskCompletionSource Turn);

    /// <summary>Runs something in its turn, off the request's thread.</summary>
    /// <param name="http">The request; its end ends the run.</param>
    /// <param name="work">The run; it looks at its token often.</param>
    /// <param name="name">Its name; by default the one that the page gave it.</param>
    /// <exception cref="BusyException">The queue is full.</exception>
    public async Task<T> Run<T>(HttpContext http, Func<CancellationToken, T> work, string? name = null)
    {
        var stop = http.RequestAborted;
        name ??= http.Request.Headers[NameHeader].ToString();
        await Turn(name, stop);
        try
        {
            return await Task.Run(() => work(stop), stop);
        }
        finally
        {
            Release(name);
        }
    }

    /// <summary>Where a run stands.</summary>
    public RunPlace Place(string name)
    {
        lock (_gate)
        {
            if (_running.ContainsKey(name))
                return new RunPlace(0);
            var place = _queue.TakeWhile(w => w.Name != name).Count();
            return new RunPlace(place < _queue.Count ? place + 1 : null);
        }
    }

    private async Task Turn(string name, CancellationToken stop)
    {
        Waiting mine;
        lock (_gate)
        {
            if (_busy < AtOnce)
            {
                Begin(name);
                return;
            }
            if (_queue.Count >= MostWaiting)
                throw new BusyException($"{MostWaiting} long runs wait already; ask again when some are done.");
            mine = new Waiting(name, new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously));
            _queue.AddLast(mine);
        }
        try
        {
            await mine.Turn.Task.WaitAsync(stop);
        }
        catch (OperationCanceledException)
        {
            bool mineAlready;
            lock (_gate)
                mineAlready = !_queue.Remove(mine);
            if (mineAlready)
                Release(name);
            log.LogDebug("A long run was given up while it waited.");
            throw;
        }
    }

    private void Begin(string name)
    {
        _busy++;
        _running[name] = _running.GetValueOrDefault(name) + 1;
    }

    private void Release(string name)
    {
        lock (_gate)
        {
            _busy--;
            if (--_running[name] == 0)
                _running.Remove(name);
            if (_queue.First is not { } next)
                return;
            _queue.RemoveFirst();
            Begin(next.Value.Name);
            next.Value.Turn.SetResult();
        }
    }
}

/// <summary>Too much is asked at once; asking again later helps.</summary>
public sealed class BusyException(string message) : Exception(message);
