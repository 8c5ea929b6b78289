using Microsoft.Data.Sqlite;
using Vanto.Core.Exchange;
using Vanto.Storage;
using Vanto.Web.Exchange;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Daily backups, those that stay, and the power cut in the middle of a backup or a restore.</summary>
public sealed class BackupTests : IDisposable
{
    private static readonly DateTimeOffset Morning = new(2026, 1, 1, 6, 0, 0, TimeSpan.Zero);
    private readonly string _folder = Directory.CreateTempSubdirectory("vanto-backup-").FullName;

    private string Store => Path.Combine(_folder, "vanto.db");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static void Rig(string store) => Ask(store, $"INSERT INTO Rigs VALUES('{Guid.NewGuid()}', '2026-01-01 00:00:00+00:00', 1)");

    private static object? Ask(string file, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }

    private static long Rigs(string store) => (long)Ask(store, "SELECT count(*) FROM Rigs")!;

    [Fact]
    public void Each_day_has_one_backup_and_only_those_of_the_rule_stay()
    {
        StoreFile.Prepare(Store);
        var clock = new SetClock(Morning);
        var daily = new DailyBackup(Store, Path.Combine(_folder, "kept"), clock);
        for (var day = 0; day < 100; day++)
        {
            clock.Now = Morning.AddDays(day);
            daily.Due().ShouldBeTrue();
            daily.Due().ShouldBeFalse("one a day");
        }
        daily.Days.ShouldBe(BackupKeeping.Kept(Enumerable.Range(0, 100).Select(i => new DateOnly(2026, 1, 1).AddDays(i))).Order());
        daily.Days.Count.ShouldBe(13);
        var view = daily.View();
        (view.Newest, view.Late, view.SameDisk, view.Fault).ShouldBe((new DateOnly(2026, 4, 10), false, true, ""));
        clock.Now = Morning.AddDays(108);
        daily.View().Late.ShouldBeTrue();
        Rig(Store);
        clock.Now = Morning.AddDays(109);
        daily.Due();
        Ask(Store, "DELETE FROM Rigs");
        StoreFile.Restore(Directory.GetFiles(view.Folder).Max()!, Store, clock.Now);
        Rigs(Store).ShouldBe(1, "the newest brings back what was there");
    }

    [Fact]
    public void A_backup_that_cannot_be_written_is_said_and_takes_none_away()
    {
        StoreFile.Prepare(Store);
        var clock = new SetClock(Morning);
        File.WriteAllText(Path.Combine(_folder, "no folder"), "");
        var daily = new DailyBackup(Store, Path.Combine(_folder, "no folder"), clock);
        daily.Due().ShouldBeFalse();
        daily.View().Fault.ShouldNotBeEmpty();
    }

    /// <summary>What lies on the disk at every step is taken away as the power cut would leave it, and started from.</summary>
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Wherever_the_power_is_cut_the_old_or_the_new_state_is_whole(bool restore)
    {
        StoreFile.Prepare(Store);
        for (var i = 0; i < 3; i++)
            Rig(Store);
        var backup = Path.Combine(_folder, "five");
        StoreFile.Backup(Store, backup);
        Rig(backup);
        Rig(backup);
        var cuts = new List<(string Step, string Folder)>();
        StoreFile.Steps.Value = step =>
        {
            var cut = Directory.CreateTempSubdirectory("vanto-cut-").FullName;
            foreach (var file in Directory.GetFiles(_folder))
                File.Copy(file, Path.Combine(cut, Path.GetFileName(file)));
            cuts.Add((step, cut));
        };
        try
        {
            if (restore)
                StoreFile.Restore(backup, Store, Morning);
            else
                StoreFile.Backup(Store, Path.Combine(_folder, "next"));
        }
        finally
        {
            StoreFile.Steps.Value = null;
        }
        cuts.Count.ShouldBeGreaterThan(restore ? 12 : 4);
        foreach (var (step, folder) in cuts)
        {
            var store = Path.Combine(folder, "vanto.db");
            StoreFile.Prepare(store);
            Rigs(store).ShouldBe(restore && step == "swapped" ? 5 : 3, step);
            Ask(store, "PRAGMA integrity_check").ShouldBe("ok", step);
            if (File.Exists(Path.Combine(folder, "next")))
                Rigs(Path.Combine(folder, "next")).ShouldBe(3, $"{step}: a backup that has its name is whole");
            StoreFile.Restore(Path.Combine(folder, "five"), store, Morning);
            Rigs(store).ShouldBe(5, $"{step}: and it can be done again");
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }
}
