using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.EntityFrameworkCore.Migrations;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Storage;

/// <summary>Opening, upgrading, backing up and restoring the store's file. Whoever prepares or restores holds its <see cref="StoreLock"/>.</summary>
public static class StoreFile
{
    private const long WorthVacuumBytes = 16 << 20;
    private const double WorthVacuumShare = 0.25;

    /// <summary>Migrations that this Vanto knows, the oldest first.</summary>
    private static readonly string[] KnownMigrations =
        [.. typeof(StoreFile).Assembly.GetTypes().SelectMany(t => t.GetCustomAttributes(typeof(MigrationAttribute), false)).Cast<MigrationAttribute>()
            .Select(a => a.Id).Order(StringComparer.Ordinal)];

    /// <summary>Told before each step of a backup or a restore that changes a file: there the power may fail, and tests look at what is on the disk.</summary>
    public static AsyncLocal<Action<string>?> Steps { get; } = new();

    private static void Step(string what) => Steps.Value?.Invoke(what);

    /// <summary>Options for a store in a file; each connection writes through to the disk before it acknowledges.</summary>
    public static DbContextOptions<VantoStore> Options(string file) =>
        new DbContextOptionsBuilder<VantoStore>().UseSqlite(Connection(file)).AddInterceptors(new DurableConnections()).Options;

    /// <summary>
    /// Makes the file or brings it up to date. A new store is made beside its name and moved there whole; an old one is copied before it is
    /// changed. Killed at any moment, the next start goes on.
    /// </summary>
    /// <param name="file">The store.</param>
    /// <param name="say">Told what is done, where it takes time or leaves a copy.</param>
    /// <param name="now">Names the copy.</param>
    /// <exception cref="StoreException">Damaged, of a newer Vanto, no store at all, or not writable.</exception>
    public static void Prepare(string file, Action<string>? say = null, DateTimeOffset? now = null)
    {
        var path = Path.GetFullPath(file);
        if (!File.Exists(path))
        {
            Make(path);
            return;
        }
        var missing = Missing(path);
        MustBeWritable(path);
        foreach (var part in new[] { path, path + "-wal", path + "-shm" })
            ClosedFile.Close(part);
        if (missing.Count == 0 && !DesignsBehind(path))
        {
            Tidy(path, say);
            Execute(path, "PRAGMA journal_mode=WAL"); // a restore leaves one file without a log
            return;
        }
        var copy = FreeName($"{path}.before-upgrade-{now ?? DateTimeOffset.UtcNow:yyyyMMdd-HHmmss}");
        Backup(path, copy);
        say?.Invoke($"The store is being brought up to date; a copy of it as it was is kept in {copy}.");
        Migrate(path);
    }

    /// <summary>True when no rig is in the store.</summary>
    public static bool IsEmpty(string file) => Scalar(file, "SELECT count(*) FROM Rigs") is 0L;

    /// <summary>Writes a consistent copy while the store is in use, checks it and only then gives it its name.</summary>
    /// <exception cref="IOException">The target exists, or the copy is not whole; nothing is left of it.</exception>
    public static void Backup(string file, string target)
    {
        if (!File.Exists(file))
            throw new StoreException($"There is no store at {file}.");
        if (File.Exists(target))
            throw new StoreException($"{target} exists; a backup never overwrites. Choose another name.");
        var unfinished = target + ".part";
        try
        {
            Step("copy");
            Discard(unfinished);
            CopyInto(file, unfinished);
            Step("verify the copy");
            Verify(unfinished);
            Step("flush the copy");
            Flush(unfinished);
            Step("name the copy");
            File.Move(unfinished, target);
            Step("the copy is named");
        }
        catch (Exception e)
        {
            Discard(unfinished);
            throw e is SqliteException sqlite
                ? new StoreException($"The copy could not be written to {target}: {Words(sqlite)} The store is as it was.", e)
                : e;
        }
    }

    /// <summary>
    /// Puts a backup in the place of the store; the store that was there is kept beside it. The backup is copied, checked and brought up to date
    /// beside the store first, so that at every moment one whole store has the name.
    /// </summary>
    /// <returns>Where the former store is kept, or null where there was none.</returns>
    /// <exception cref="IOException">The backup is missing, not whole or of a newer Vanto, or the disk is full; the store is as it was.</exception>
    public static string? Restore(string backup, string file, DateTimeOffset now)
    {
        if (!File.Exists(backup))
            throw new StoreException($"There is no backup at {backup}.");
        Verify(backup);
        var path = Path.GetFullPath(file);
        var beside = path + ".part";
        string? kept = null;
        try
        {
            Step("bring the backup beside");
            Discard(beside);
            ClosedFile.Copy(backup, beside);
            Step("verify it");
            Verify(beside);
            Step("bring it up to date");
            if (Missing(beside).Count > 0 || DesignsBehind(beside))
                Migrate(beside);
            Step("make it one file");
            ToOneFile(beside);
            Step("flush it");
            Flush(beside);
            if (File.Exists(path))
            {
                kept = FreeName($"{path}.before-{now:yyyyMMdd-HHmmss}");
                Backup(path, kept);
                Step("make the store one file");
                ToOneFile(path);
            }
            SqliteConnection.ClearAllPools();
            // What is restored goes on as another laptop: numbers that it gave before must not come twice.
            File.Delete(LaptopClock.FileOf(path));
            Step("swap");
            File.Move(beside, path, overwrite: true);
            Step("swapped");
            return kept;
        }
        catch (Exception e) when (e is IOException or SqliteException or UnauthorizedAccessException)
        {
            Discard(beside);
            var reason = e is SqliteException sqlite ? Words(sqlite) : e.Message;
            throw new StoreException(
                $"The backup was not restored: {reason} The store is as it was.{(kept is null || !File.Exists(kept) ? "" : $" A copy of it is in {kept}.")}",
                e);
        }
    }

    /// <summary>What a failure of the store means for the person, in one sentence.</summary>
    public static string Words(SqliteException e) => e.SqliteErrorCode switch
    {
        5 or 6 => "The store is busy with something else.",
        8 => "The store is read-only.",
        10 => "The disk does not answer.",
        11 or 26 => "The store is damaged.",
        13 => "The disk is full.",
        14 => "The store cannot be opened.",
        _ => e.Message,
    };

    private static string Connection(string file, SqliteOpenMode mode = SqliteOpenMode.ReadWriteCreate, bool pooling = true) =>
        new SqliteConnectionStringBuilder { DataSource = Path.GetFullPath(file), ForeignKeys = true, Mode = mode, Pooling = pooling }.ToString();

    private static void Make(string path)
    {
        var beside = path + ".new";
        try
        {
            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
            Discard(beside);
            ClosedFile.Begin(beside);
            Migrate(beside);
            ToOneFile(beside);
            Flush(beside);
            File.Move(beside, path);
            Execute(path, "PRAGMA journal_mode=WAL");
        }
        catch (Exception e) when (e is IOException or SqliteException or UnauthorizedAccessException)
        {
            Discard(beside);
            throw new StoreException($"No store can be made at {path}: {(e is SqliteException sqlite ? Words(sqlite) : e.Message)}", e);
        }
    }

    /// <summary>Applies what is missing. A lock row left by a killed process would be waited for without end; the caller holds the store's own lock.</summary>
    private static void Migrate(string path)
    {
        if (File.Exists(path) && Scalar(path, "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsLock'") is not 0L)
            Execute(path, "DELETE FROM __EFMigrationsLock");
        using (var store = new VantoStore(Options(path)))
        {
            store.Database.Migrate();
            store.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL");
        }
        BringUpDesigns(path);
        SqliteConnection.ClearAllPools();
    }

    /// <summary>True where the store holds designs of an earlier version of the job file; which one it holds stands in the file's head.</summary>
    private static bool DesignsBehind(string path) => Scalar(path, "PRAGMA user_version") is < (long)JobDesign.CurrentVersion;

    /// <summary>Gives every design the names of today, all or none; one that cannot be read stays as it lies.</summary>
    private static void BringUpDesigns(string path)
    {
        if (!DesignsBehind(path))
            return;
        using var connection = new SqliteConnection(Connection(path, pooling: false));
        connection.Open();
        connection.CreateFunction<string, string>("brought_up", BroughtUp);
        using var command = connection.CreateCommand();
        command.CommandText = $"BEGIN IMMEDIATE; UPDATE Revisions SET Design = brought_up(Design); PRAGMA user_version = {JobDesign.CurrentVersion}; COMMIT;";
        command.ExecuteNonQuery();
    }

    private static string BroughtUp(string design)
    {
        try
        {
            return JobFile.BringUp(design);
        }
        catch (InputException)
        {
            return design;
        }
    }

    /// <summary>Migrations that a store lacks, asked in plain SQL: a start need not wait for the mapper.</summary>
    /// <exception cref="StoreException">No store, or of a newer Vanto.</exception>
    private static List<string> Missing(string path)
    {
        try
        {
            if (Scalar(path, "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsHistory'") is 0L)
            {
                if (Scalar(path, "SELECT count(*) FROM sqlite_master WHERE type = 'table' AND name NOT LIKE '\\_\\_EF%' ESCAPE '\\'") is not 0L)
                    throw new StoreException($"{path} is another program's file, not a Vanto store; it was not touched. Name another store with --store.");
                return [.. KnownMigrations];
            }
            var applied = Rows(path, "SELECT MigrationId FROM __EFMigrationsHistory ORDER BY MigrationId");
            var unknown = applied.Except(KnownMigrations).ToList();
            if (unknown.Count > 0)
                throw new StoreException($"{path} was written by a newer Vanto (its shape is {unknown[^1]}; this Vanto knows {KnownMigrations[^1]}). It was "
                    + $"not touched; start that Vanto, or name another store.");
            if (Scalar(path, "PRAGMA user_version") is long version and > JobDesign.CurrentVersion)
                throw new StoreException(
                    $"{path} was written by a newer Vanto (its designs have version {version}; this Vanto knows {JobDesign.CurrentVersion}). "
                    + $"It was not touched; start that Vanto, or name another store.");
            return [.. KnownMigrations.Except(applied)];
        }
        catch (SqliteException e)
        {
            throw new StoreException($"{path} cannot be opened as a Vanto store: {Words(e)}{Copies(path)}", e);
        }
    }

    /// <summary>The newest copy beside a store that cannot be opened, as a way out.</summary>
    private static string Copies(string path)
    {
        var newest = Directory.GetFiles(Path.GetDirectoryName(path)!, Path.GetFileName(path) + ".before-*")
            .Where(f => !f.EndsWith(".part", StringComparison.Ordinal)).MaxBy(File.GetLastWriteTimeUtc);
        return newest is null
            ? " Put a backup in its place with ./vanto restore FILE."
            : $" The newest copy beside it is {newest}; ./vanto restore puts it back.";
    }

    private static void MustBeWritable(string path)
    {
        try
        {
            using var probe = new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite);
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StoreException(
                $"{path} is read-only: nothing that is typed could be kept. Give this user the right to write it, or name another store with --store.", e);
        }
    }

    private static void Verify(string file)
    {
        try
        {
            if (Scalar(file, "PRAGMA integrity_check", SqliteOpenMode.ReadOnly) as string != "ok")
                throw new StoreException($"{file} is damaged.");
            if (Scalar(file, "SELECT count(*) FROM sqlite_master WHERE name = 'Revisions'", SqliteOpenMode.ReadOnly) is not 1L)
                throw new StoreException($"{file} is no Vanto store.");
        }
        catch (SqliteException e)
        {
            throw new StoreException($"{file} is no Vanto store: {Words(e)}", e);
        }
        Missing(file);
    }

    private static void CopyInto(string file, string target)
    {
        ClosedFile.Begin(target);
        using (var source = new SqliteConnection(Connection(file, SqliteOpenMode.ReadOnly, pooling: false)))
        using (var copy = new SqliteConnection(Connection(target, pooling: false)))
        {
            source.Open();
            copy.Open();
            source.BackupDatabase(copy);
        }
        Execute(target, "PRAGMA journal_mode=DELETE"); // one file that can be carried away
    }

    /// <summary>Takes what stands in the write-ahead log into the file, and the log away.</summary>
    private static void ToOneFile(string path)
    {
        SqliteConnection.ClearAllPools();
        Execute(path, "PRAGMA wal_checkpoint(TRUNCATE); PRAGMA journal_mode=DELETE;");
        Step("take the log away");
        foreach (var rest in new[] { path + "-wal", path + "-shm" })
            File.Delete(rest);
    }

    /// <summary>Gives back the room of what was removed, where it is worth the time.</summary>
    private static void Tidy(string path, Action<string>? say)
    {
        var page = (long)Scalar(path, "PRAGMA page_size")!;
        var free = page * (long)Scalar(path, "PRAGMA freelist_count")!;
        if (free < WorthVacuumBytes || free < WorthVacuumShare * page * (long)Scalar(path, "PRAGMA page_count")!)
            return;
        say?.Invoke($"The store gives back {free >> 20} MB that removed rigs left free.");
        Execute(path, "VACUUM");
    }

    /// <summary>On the disk, not only in its cache.</summary>
    private static void Flush(string path)
    {
        using var file = new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite);
        file.Flush(flushToDisk: true);
    }

    private static void Discard(string path)
    {
        foreach (var part in new[] { path, path + "-wal", path + "-shm", path + "-journal" })
            File.Delete(part);
    }

    /// <summary>The name, or the same with a number where it is taken.</summary>
    private static string FreeName(string wanted) =>
        File.Exists(wanted) ? Enumerable.Range(2, 1000).Select(i => $"{wanted}-{i}").First(n => !File.Exists(n)) : wanted;

    private static object? Scalar(string file, string sql, SqliteOpenMode mode = SqliteOpenMode.ReadWrite)
    {
        using var connection = new SqliteConnection(Connection(file, mode, pooling: false));
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }

    private static List<string> Rows(string file, string sql)
    {
        using var connection = new SqliteConnection(Connection(file, SqliteOpenMode.ReadWrite, pooling: false));
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        using var reader = command.ExecuteReader();
        var rows = new List<string>();
        while (reader.Read())
            rows.Add(reader.GetString(0));
        return rows;
    }

    private static void Execute(string file, string sql)
    {
        using var connection = new SqliteConnection(Connection(file, pooling: false));
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    private sealed class DurableConnections : DbConnectionInterceptor
    {
        public override void ConnectionOpened(System.Data.Common.DbConnection connection, ConnectionEndEventData eventData) => Set(connection);

        public override Task ConnectionOpenedAsync(System.Data.Common.DbConnection connection, ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default)
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
