namespace Vanto.Storage;

/// <summary>
/// Held for as long as a process uses a store: a second server, or a restore under a running one, is refused. The operating system lets it go
/// when the process ends, however it ends; the file beside the store stays and means nothing by itself.
/// </summary>
public sealed class StoreLock : IDisposable
{
    private readonly FileStream _file;

    private StoreLock(FileStream file) => _file = file;

    /// <summary>Takes the lock of a store, whose folder is made where it is missing.</summary>
    /// <param name="store">The store's file; it need not exist.</param>
    /// <exception cref="StoreException">Another process holds it, or the folder cannot be written.</exception>
    public static StoreLock Take(string store)
    {
        var path = Path.GetFullPath(store);
        if (Directory.Exists(path))
            throw new StoreException($"{path} is a folder; name a file for the store.");
        try
        {
            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new StoreException($"The folder of {path} cannot be made: {e.Message}", e);
        }
        try
        {
            return new StoreLock(new FileStream(path + ".lock", FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StoreException(
                $"Nothing can be written beside {path}: the store would not keep what is typed. Give this user the right to write there, or name another "
                    + $"store with --store.",
                e);
        }
        catch (IOException e) when (e is not (DirectoryNotFoundException or PathTooLongException))
        {
            throw new StoreException($"{path} is in use by another Vanto. Stop it first, or name another store with --store.", e);
        }
    }

    /// <inheritdoc />
    public void Dispose() => _file.Dispose();
}
