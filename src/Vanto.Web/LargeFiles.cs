using Vanto.Core.Findings;

namespace Vanto.Web;

/// <summary>
/// Large files that are read in: one at a time, from the disk and not from memory, and what they took is given back at once. Without that a server that
/// read one would stay as large as that made it.
/// </summary>
public sealed class LargeFiles : IDisposable
{
    private readonly SemaphoreSlim _turn = new(1);

    /// <summary>Reads the body of a request as a file.</summary>
    /// <param name="request">Its body is the file.</param>
    /// <param name="field">What is refused where the body is empty.</param>
    /// <param name="none">In which words.</param>
    /// <param name="work">Reads it.</param>
    public Task<T> Read<T>(HttpRequest request, string field, string none, Func<Stream, Task<T>> work) => Read(async () =>
    {
        var path = Path.Combine(Path.GetTempPath(), $"vanto-{Guid.NewGuid():N}.part");
        await using var file = new FileStream(path, FileMode.CreateNew, FileAccess.ReadWrite, FileShare.None, 81920,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous);
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(file.SafeFileHandle, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        await request.Body.CopyToAsync(file, request.HttpContext.RequestAborted);
        if (file.Length == 0)
            throw new InputException(field, "", none);
        file.Position = 0;
        return await work(file);
    });

    /// <summary>Does something with a large file in its turn.</summary>
    public async Task<T> Read<T>(Func<Task<T>> work)
    {
        await _turn.WaitAsync();
        try
        {
            // What reading the request left behind goes before the file takes its room.
            GC.Collect();
            return await work();
        }
        finally
        {
            GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
            _turn.Release();
        }
    }

    public void Dispose() => _turn.Dispose();
}
