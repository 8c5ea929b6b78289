using System.Security.Cryptography;
using Vanto.Core.Exchange;

namespace Vanto.Storage;

/// <summary>
/// The laptop that a store lies on, by a number of its own, and its clock. The number lies beside the store and not in it: a copy that is restored on
/// another laptop is another laptop.
/// </summary>
public sealed class LaptopClock(string device, TimeProvider clock)
{
    private const int DeviceBytes = 8;

    /// <summary>16 hex digits.</summary>
    public string Device => device;

    /// <summary>Milliseconds since 1970.</summary>
    public long Now => clock.GetUtcNow().ToUnixTimeMilliseconds();

    /// <summary>A stamp this far ahead of the clock does not move it on, ms; common practice.</summary>
    public const long FarAhead = 24 * 3600 * 1000;

    /// <summary>Where the number lies.</summary>
    public static string FileOf(string store) => Path.GetFullPath(store) + ".device";

    /// <summary>The laptop of a store; one that has no number yet, or a damaged one, gets one.</summary>
    public static LaptopClock Of(string store, TimeProvider clock)
    {
        var file = FileOf(store);
        if (File.Exists(file) && File.ReadAllText(file).Trim() is var known && EventStamp.IsDevice(known))
            return new LaptopClock(known, clock);
        var made = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(DeviceBytes));
        File.WriteAllText(file, made);
        return new LaptopClock(made, clock);
    }
}
