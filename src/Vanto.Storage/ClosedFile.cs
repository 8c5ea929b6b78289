namespace Vanto.Storage;

/// <summary>Files that only who runs Vanto may read: closed from the moment that they are there, not after.</summary>
public static class ClosedFile
{
    private const UnixFileMode Own = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>Writes one in the place of what was there.</summary>
    public static void Write(string path, byte[] content)
    {
        File.Delete(path);
        using var file = Made(path);
        file.Write(content);
        file.Flush(flushToDisk: true);
    }

    /// <summary>An empty one, where none is yet.</summary>
    public static void Begin(string path)
    {
        if (!File.Exists(path))
            Made(path).Dispose();
    }

    /// <summary>A copy of one.</summary>
    public static void Copy(string from, string to)
    {
        using var source = File.OpenRead(from);
        using var copy = Made(to);
        source.CopyTo(copy);
    }

    /// <summary>Closes one that others could read.</summary>
    public static void Close(string path)
    {
        if (!OperatingSystem.IsWindows() && File.Exists(path) && (File.GetUnixFileMode(path) & ~Own) != 0)
            File.SetUnixFileMode(path, Own);
    }

    private static FileStream Made(string path)
    {
        var options = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = Own;
        return new FileStream(path, options);
    }
}
