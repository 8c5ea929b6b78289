using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Vanto.Storage;

/// <summary>Opening, backing up and restoring the store's file.</summary>
public static class StoreFile
{
    /// <summary>Options for a store in a file; each connection writes through to the disk before it acknowledges.</summary>
    public static DbContextOptions<VantoStore> Options(string file) =>
        new DbContextOptionsBuilder<VantoStore>()
            .UseSqlite(new SqliteConnectionStringBuilder { DataSource = file, ForeignKeys = true }.ToString())
            .AddInterceptors(new DurableConnections())
            .Options;

    /// <summary>Makes the file or brings it up to date.</summary>
    public static void Prepare(string file)
    {
        if (IsUpToDate(file))
            return;
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(file))!);
        using var store = new VantoStore(Options(file));
        store.Database.Migrate();
        store.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL");
    }

    /// <summary>True when the file has every migration: asked in plain SQL, for a start need not wait for the mapper.</summary>
    private static bool IsUpToDate(string file)
    {
        if (!File.Exists(file))
            return false;
        var newest = typeof(StoreFile).Assembly.GetTypes().Select(t => t.GetCustomAttributes(typeof(MigrationAttribute), false)).SelectMany(a => a).Cast<MigrationAttribute>().Select(a => a.Id).Max();
        return Count(file, "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsHistory'") > 0
            && Count(file, $"SELECT count(*) FROM __EFMigrationsHistory WHERE MigrationId = '{newest}'") > 0;
    }

    /// <summary>True when no rig is in the store.</summary>
    public static bool IsEmpty(string file) => Count(file, "SELECT count(*) FROM Rigs") == 0;

    private static long Count(string file, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return (long)command.ExecuteScalar()!;
    }

    /// <summary>Writes a consistent copy while the store is in use, checks it and only then gives it its name.</summary>
    /// <exception cref="IOException">The target exists, or the copy is not whole.</exception>
    public static void Backup(string file, string target)
    {
        if (!File.Exists(file))
            throw new IOException($"There is no store at {file}.");
        if (File.Exists(target))
            throw new IOException($"{target} exists; a backup never overwrites. Choose another name.");
        var unfinished = target + ".part";
        File.Delete(unfinished);
        using (var source = new SqliteConnection($"Data Source={file};Mode=ReadOnly"))
        using (var copy = new SqliteConnection($"Data Source={unfinished};Pooling=False"))
        {
            source.Open();
            copy.Open();
            source.BackupDatabase(copy);
            using var single = copy.CreateCommand();
            single.CommandText = "PRAGMA journal_mode=DELETE"; // one file that can be carried away
            single.ExecuteNonQuery();
        }
        Verify(unfinished);
        File.Move(unfinished, target);
    }

    /// <summary>Puts a backup in the place of the store; the store that was there is kept beside it.</summary>
    /// <returns>Where the former store is kept, or null where there was none.</returns>
    /// <exception cref="IOException">The backup is missing or not whole.</exception>
    public static string? Restore(string backup, string file, DateTimeOffset now)
    {
        if (!File.Exists(backup))
            throw new IOException($"There is no backup at {backup}.");
        Verify(backup);
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(file))!);
        SqliteConnection.ClearAllPools();
        string? kept = null;
        if (File.Exists(file))
        {
            kept = $"{file}.before-{now:yyyyMMdd-HHmmss}";
            Backup(file, kept);
            foreach (var part in new[] { file, file + "-wal", file + "-shm" })
                File.Delete(part);
        }
        File.Copy(backup, file + ".part", overwrite: true);
        File.Move(file + ".part", file);
        Prepare(file);
        return kept;
    }

    private static void Verify(string file)
    {
        try
        {
            using var connection = new SqliteConnection($"Data Source={file};Mode=ReadOnly;Pooling=False");
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA integrity_check";
            if (command.ExecuteScalar() as string != "ok")
                throw new IOException($"{file} is damaged.");
            command.CommandText = "SELECT count(*) FROM sqlite_master WHERE name = 'Revisions'";
            if (command.ExecuteScalar() is not 1L)
                throw new IOException($"{file} is no Vanto store.");
        }
        catch (SqliteException e)
        {
            throw new IOException($"{file} is no Vanto store: {e.Message}", e);
        }
    }

    private sealed class DurableConnections : DbConnectionInterceptor
    {
        public override void ConnectionOpened(System.Data.Common.DbConnection connection, ConnectionEndEventData eventData) => Set(connection);

        public override Task ConnectionOpenedAsync(System.Data.Common.DbConnection connection, ConnectionEndEventData eventData, CancellationToken cancellationToken = default)
        {
            Set(connection);
            return Task.CompletedTask;
        }

        private static void Set(System.Data.Common.DbConnection connection)
        {
            using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA synchronous=FULL; PRAGMA busy_timeout=5000;";
            command.ExecuteNonQuery();
        }
    }
}
