using System.Globalization;
using Vanto.Core.Exchange;
using Vanto.Storage;

namespace Vanto.Web.Exchange;

/// <summary>How the backups stand.</summary>
/// <param name="Folder">Where they lie.</param>
/// <param name="Newest">Day of the newest; nothing where there is none.</param>
/// <param name="Late">None for a week.</param>
/// <param name="SameDisk">They lie on the disk of the store: lost with it.</param>
/// <param name="Fault">Why the last one could not be written; empty where it could.</param>
public sealed record BackupView(string Folder, int Count, DateOnly? Newest, bool Late, bool SameDisk, string Fault);

/// <summary>A copy of the store each day once nobody is at work, those of the last days, weeks and months kept.</summary>
public sealed class DailyBackup(string store, string folder, TimeProvider clock) : BackgroundService
{
    private const string Prefix = "vanto-", Ending = ".db";
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(1), Idle = TimeSpan.FromSeconds(30), Longest = TimeSpan.FromHours(1);

    private readonly DateTimeOffset _began = clock.GetUtcNow();
    private long _askedTicks = clock.GetUtcNow().UtcTicks;
    private string _fault = "";

    /// <summary>Where backups lie when nothing else is said.</summary>
    public static string FolderOf(string store) => Path.GetFullPath(store) + ".backups";

    /// <summary>Somebody is at work.</summary>
    public void Asked() => Volatile.Write(ref _askedTicks, clock.GetUtcNow().UtcTicks);

    /// <summary>Days that have a backup.</summary>
    public IReadOnlyList<DateOnly> Days => Directory.Exists(folder)
        ? [.. Directory.GetFiles(folder, $"{Prefix}*{Ending}").Select(Day).OfType<DateOnly>().Order()] : [];

    /// <summary>How they stand.</summary>
    public BackupView View()
    {
        var days = Days;
        DateOnly? newest = days.Count > 0 ? days[^1] : null;
        var late = newest is { } day ? Today.DayNumber - day.DayNumber > BackupKeeping.LateDays : clock.GetUtcNow() - _began > TimeSpan.FromDays(
            BackupKeeping.LateDays);
        return new BackupView(folder, days.Count, newest, late, Drive(folder) == Drive(store), _fault);
    }

    /// <summary>Writes the one of today where it is missing, then lets go of those that need not stay; true where one was written.</summary>
    public bool Due()
    {
        if (Days.Contains(Today))
            return false;
        try
        {
            Directory.CreateDirectory(folder);
            StoreFile.Backup(store, Named(Today));
            _fault = "";
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            _fault = e.Message;
            return false;
        }
        var kept = BackupKeeping.Kept(Days);
        foreach (var day in Days.Where(d => !kept.Contains(d)))
            File.Delete(Named(day));
        return true;
    }

    /// <inheritdoc />
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Look, clock);
        while (await timer.WaitForNextTickAsync(stoppingToken))
            if (clock.GetUtcNow().UtcTicks - Volatile.Read(ref _askedTicks) > Idle.Ticks || clock.GetUtcNow() - _began > Longest)
                await Task.Run(Due, stoppingToken);
    }

    private DateOnly Today => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);

    private string Named(DateOnly day) => Path.Combine(folder, $"{Prefix}{day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}{Ending}");

    private static DateOnly? Day(string file) => DateOnly.TryParseExact(Path.GetFileName(file)[Prefix.Length..^Ending.Length], "yyyy-MM-dd",
        CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;

    /// <summary>The drive or mount that a path lies on.</summary>
    private static string Drive(string path) => DriveInfo.GetDrives().Select(d => d.RootDirectory.FullName)
        .Where(root => Path.GetFullPath(path).StartsWith(root, StringComparison.Ordinal)).MaxBy(root => root.Length) ?? "";
}
