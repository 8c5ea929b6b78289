using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;
using Vanto.Storage;

namespace Vanto.Web.Crew;

/// <summary>A device that was let in.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">Who holds it.</param>
/// <param name="Role">What it may.</param>
/// <param name="TokenHash">SHA-256 of what it shows at each request.</param>
/// <param name="JoinedAt">When it came.</param>
/// <param name="SeenAt">When it last asked.</param>
/// <param name="Rig">The one rig that it is shown; null is all.</param>
/// <param name="Clock">How its clock stood when it last measured.</param>
/// <param name="Shared">Several people write on it, each under a name of their own.</param>
public sealed record CrewDevice(Guid Id, string Name, CrewRole Role, string TokenHash, DateTimeOffset JoinedAt, DateTimeOffset SeenAt, Guid? Rig = null,
    ClockSkew? Clock = null, bool Shared = false);

/// <summary>Somebody who tried codes that were none.</summary>
/// <param name="From">Address.</param>
/// <param name="Tries">So often.</param>
/// <param name="At">Last.</param>
public sealed record CodeTry(string From, int Tries, DateTimeOffset At);

/// <summary>Devices of the crew, kept in a file beside the store, and the one code that stands.</summary>
public sealed class CrewBook(string file, TimeProvider clock)
{
    /// <summary>A device that has not asked for so long must join again; the product's own choice.</summary>
    public static readonly TimeSpan Idle = TimeSpan.FromHours(12);

    private static readonly TimeSpan SeenEvery = TimeSpan.FromMinutes(5);
    private const int TokenBytes = 32;

    private readonly Lock _turn = new();
    private List<CrewDevice>? _devices;
    private JoinCode? _code;
    private readonly List<CodeTry> _tries = [];

    /// <summary>So long a device that is idle is still known: where it joins again with what it showed then, it is the same device.</summary>
    public static readonly TimeSpan Remembered = TimeSpan.FromDays(30);

    private const int TriesKept = 20;

    /// <summary>Beside a store.</summary>
    public static string FileOf(string store) => Path.ChangeExtension(Path.GetFullPath(store), ".crew.json");

    private List<CrewDevice> Known => _devices ??= File.Exists(file) ? JsonSerializer.Deserialize<List<CrewDevice>>(File.ReadAllText(file)) ?? [] : [];

    /// <summary>The code that can be used now.</summary>
    public JoinCode? Code
    {
        get
        {
            lock (_turn)
                return _code is { } code && code.Stands(clock.GetUtcNow()) ? code : null;
        }
    }

    /// <summary>All devices that are in.</summary>
    public IReadOnlyList<CrewDevice> Devices
    {
        get
        {
            lock (_turn)
                return [.. Known.Where(d => clock.GetUtcNow() - d.SeenAt < Idle)];
        }
    }

    /// <summary>A new code in the place of the old one.</summary>
    public JoinCode Invite(CrewRole role, Guid? rig = null)
    {
        lock (_turn)
            return _code = JoinCode.Of(RandomNumberGenerator.GetInt32(JoinCode.Codes), role, clock.GetUtcNow()) with { Rig = rig };
    }

    /// <summary>Who tried codes that were none since the server started, the last first.</summary>
    public IReadOnlyList<CodeTry> Tries
    {
        get
        {
            lock (_turn)
                return [.. _tries.OrderByDescending(t => t.At)];
        }
    }

    /// <summary>Lets a device in.</summary>
    /// <param name="typed">Its code.</param>
    /// <param name="name">Who holds it.</param>
    /// <param name="from">Its address.</param>
    /// <param name="shown">What it showed before, where it was here already.</param>
    /// <returns>What it shows from now on, where it was let in.</returns>
    public (JoinVerdict Verdict, string? Token) Join(string typed, string name, string from, string? shown = null)
    {
        lock (_turn)
        {
            var now = clock.GetUtcNow();
            var verdict = JoinVerdict.Over;
            if (_code is not null)
                (verdict, _code) = _code.Judge(typed, from, now);
            if (verdict != JoinVerdict.Joined)
            {
                Tried(from, now);
                return (verdict, null);
            }
            var token = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(TokenBytes));
            var before = Shows(shown) is >= 0 and var at ? Known[at].Id : Guid.NewGuid();
            Known.RemoveAll(d => d.Id == before || now - d.SeenAt > Remembered);
            Known.Add(new CrewDevice(before, name, _code!.Role, Hash(token), now, now, _code.Rig));
            Keep();
            return (verdict, token);
        }
    }

    private void Tried(string from, DateTimeOffset now)
    {
        var before = _tries.Find(t => t.From == from)?.Tries ?? 0;
        _tries.RemoveAll(t => t.From == from);
        _tries.Add(new CodeTry(from, before + 1, now));
        if (_tries.Count > TriesKept)
            _tries.RemoveAt(0);
    }

    /// <summary>Where among the known stands who shows this; below zero for nobody.</summary>
    private int Shows(string? token)
    {
        if (string.IsNullOrEmpty(token))
            return -1;
        var hash = Encoding.ASCII.GetBytes(Hash(token));
        return Known.FindIndex(d => CryptographicOperations.FixedTimeEquals(Encoding.ASCII.GetBytes(d.TokenHash), hash));
    }

    /// <summary>The device that shows this; null for none, or one that was idle too long.</summary>
    public CrewDevice? Who(string? token)
    {
        lock (_turn)
        {
            var now = clock.GetUtcNow();
            var at = Shows(token);
            if (at < 0 || now - Known[at].SeenAt >= Idle)
                return null;
            var seen = Known[at];
            Known[at] = seen with { SeenAt = now };
            if (now - seen.SeenAt > SeenEvery)
                Keep();
            return Known[at];
        }
    }

    /// <summary>Notes how a device's clock stands.</summary>
    public void Measured(Guid id, ClockSkew clockOf) => Change(id, d => d with { Clock = clockOf });

    /// <summary>Lets several people write on a device, each under a name of their own, or no longer; false where it is not in.</summary>
    public bool Share(Guid id, bool shared) => Change(id, d => d with { Shared = shared });

    private bool Change(Guid id, Func<CrewDevice, CrewDevice> change)
    {
        lock (_turn)
        {
            var at = Known.FindIndex(d => d.Id == id);
            if (at < 0)
                return false;
            Known[at] = change(Known[at]);
            Keep();
            return true;
        }
    }

    /// <summary>Sends a device away; false where it is not in.</summary>
    public bool Revoke(Guid id)
    {
        lock (_turn)
        {
            if (Known.RemoveAll(d => d.Id == id) == 0)
                return false;
            Keep();
            return true;
        }
    }

    /// <summary>Written beside and put in its place, so that a cut leaves the old file or the new one.</summary>
    private void Keep()
    {
        var fresh = file + ".new";
        ClosedFile.Write(fresh, JsonSerializer.SerializeToUtf8Bytes(Known));
        File.Move(fresh, file, overwrite: true);
    }

    private static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
