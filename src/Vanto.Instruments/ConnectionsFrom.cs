using System.Collections.Concurrent;
using System.Net;

namespace Vanto.Instruments;

/// <summary>Counts the connections that each address holds, so that one stranger cannot hold all there are.</summary>
/// <param name="most">At once, from one address.</param>
public sealed class ConnectionsFrom(int most)
{
    private readonly ConcurrentDictionary<IPAddress, int> _held = new();

    /// <summary>Addresses that hold one now.</summary>
    public int Addresses => _held.Count;

    /// <summary>Does what a connection is for while there is room for it; false where there was none.</summary>
    public async Task<bool> Held(IPAddress? from, Func<Task> work)
    {
        var address = from ?? IPAddress.None;
        if (_held.AddOrUpdate(address, 1, (_, n) => n + 1) > most)
        {
            Left(address);
            return false;
        }
        try
        {
            await work();
            return true;
        }
        finally
        {
            Left(address);
        }
    }

    private void Left(IPAddress address)
    {
        if (_held.AddOrUpdate(address, 0, (_, n) => n - 1) <= 0)
            _held.TryRemove(new KeyValuePair<IPAddress, int>(address, 0));
    }
}
