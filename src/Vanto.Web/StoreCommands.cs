using Vanto.Storage;

namespace Vanto.Web;

/// <summary>Backup and restore from the command line.</summary>
public static class StoreCommands
{
    /// <summary>Copies the store to a file, also while it is in use.</summary>
    public static int Backup(string store, string target) => Told(() =>
    {
        StoreFile.Backup(store, target);
        Console.WriteLine($"Backed up {store} to {target}.");
    });

    /// <summary>Puts a backup in the store's place.</summary>
    public static int Restore(string store, string backup) => Told(() =>
    {
        using var held = StoreLock.Take(store); // refused while Vanto runs: it would go on writing to the file taken away
        var kept = StoreFile.Restore(backup, store, DateTimeOffset.UtcNow);
        Console.WriteLine($"Restored {backup} to {store}.{(kept is null ? "" : $" What was there is kept in {kept}.")}");
    });

    private static int Told(Action action)
    {
        try
        {
            action();
            return 0;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            Console.Error.WriteLine(e.Message);
            return 1;
        }
        catch (Microsoft.Data.Sqlite.SqliteException e)
        {
            Console.Error.WriteLine(StoreFile.Words(e));
            return 1;
        }
    }
}
