using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Vanto.Core.Crew;
using Vanto.Core.Exchange;

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
public sealed record CrewDevice(Guid Id, string Name, CrewRole Role, string TokenHash, DateTimeOffset JoinedAt, DateTimeOffset SeenAt, Guid? Rig = null,
    ClockSkew? Clock = null);

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

    /// <summary>Lets a device in.</summary>
    /// <returns>What it shows from now on, where it was let in.</returns>
    public (JoinVerdict Verdict, string? Token) Join(string typed, string name)
    {
        lock (_turn)
        {
            if (_code is null)
                return (JoinVerdict.Over, null);
            (var verdict, _code) = _code.Judge(typed, clock.GetUtcNow());
            if (verdict != JoinVerdict.Joined)
                return (verdict, null);
            var token = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(TokenBytes));
            var now = clock.GetUtcNow();
            Known.Add(new CrewDevice(Guid.NewGuid(), name, _code.Role, Hash(token), now, now, _code.Rig));
            Keep();
            return (verdict, token);
        }
    }

    /// <summary>The device that shows this; null for none, or one that was idle too long.</summary>
    public CrewDevice? Who(string? token)
    {
        if (string.IsNullOrEmpty(token))
            return null;
        var hash = Hash(token);
        lock (_turn)
        {
            var now = clock.GetUtcNow();
            var at = Known.FindIndex(d => CryptographicOperations.FixedTimeEquals(Encoding.ASCII.GetBytes(d.TokenHash), Encoding.ASCII.GetBytes(hash)));
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
    public void Measured(Guid id, ClockSkew clockOf)
    {
        lock (_turn)
        {
            var at = Known.FindIndex(d => d.Id == id);
            if (at < 0)
                return;
            Known[at] = Known[at] with { Clock = clockOf };
            Keep();
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
        File.WriteAllText(fresh, JsonSerializer.Serialize(Known));
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(fresh, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        File.Move(fresh, file, overwrite: true);
    }

    private static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
