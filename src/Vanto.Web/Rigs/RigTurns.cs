namespace Vanto.Web.Rigs;

/// <summary>
/// One change of a rig after another. A fixed number of turns is shared by all rigs, so that asking after rigs that do not exist costs nothing.
/// </summary>
public class RigTurns
{
    private const int Shared = 64;
    private readonly SemaphoreSlim[] _turns = [.. Enumerable.Range(0, Shared).Select(_ => new SemaphoreSlim(1))];

    /// <summary>Does something in the rig's turn.</summary>
    public async Task<T> Take<T>(Guid rig, Func<Task<T>> work)
    {
        var turn = _turns[(uint)rig.GetHashCode() % Shared];
        await turn.WaitAsync();
        try
        {
            return await work();
        }
        finally
        {
            turn.Release();
        }
    }
}
