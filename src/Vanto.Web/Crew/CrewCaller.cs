using System.Text.Json;
using System.Text.Json.Serialization;
using Vanto.Core.Crew;
using Vanto.Core.Quantities;

namespace Vanto.Web.Crew;

/// <summary>Who asks: the owner on this machine, a device of the crew that the gate vouches for, or a stranger who came through the gate.</summary>
/// <param name="Role">What it may; null is nothing.</param>
/// <param name="Device">Of the crew; null on this machine.</param>
/// <param name="Name">Who holds it.</param>
/// <param name="Rig">The one rig that it may see; null is all.</param>
/// <param name="Shared">Several people write on it, each under a name of their own; the owner allowed it.</param>
public sealed record CrewCaller(CrewRole? Role, Guid? Device, string Name, Guid? Rig, bool Shared)
{
    /// <summary>Tells the server whose request was passed on; taken off whatever comes from outside. Without it the owner asks, on this machine.</summary>
    public const string Header = "Vanto-Crew";

    private const int ShortDigits = 8;

    /// <summary>Who works on this machine.</summary>
    public static readonly CrewCaller Owner = new(CrewRole.Owner, null, "", null, true);

    /// <summary>Who came through the gate without having joined.</summary>
    public static readonly CrewCaller Stranger = new(null, null, "", null, false);

    public static CrewCaller Of(CrewDevice device) => new(device.Role, device.Id, device.Name, device.Rig, device.Shared);

    /// <summary>As the gate sends it.</summary>
    [JsonIgnore]
    public string Written => Convert.ToBase64String(JsonSerializer.SerializeToUtf8Bytes(this));

    /// <summary>Who asks; null where what stands in the header is nobody.</summary>
    public static CrewCaller? Read(HttpContext http)
    {
        if (!http.Request.Headers.TryGetValue(Header, out var written))
            return Owner;
        try
        {
            return JsonSerializer.Deserialize<CrewCaller>(Convert.FromBase64String(written.ToString())) is { } caller
                && (caller.Role is { } role ? caller.Device is not null && Enum.IsDefined(role) : caller == Stranger) ? caller : null;
        }
        catch (Exception e) when (e is FormatException or JsonException)
        {
            return null;
        }
    }

    /// <summary>Who asks, as the guard of the routes has read it.</summary>
    public static CrewCaller Of(HttpContext http) => (CrewCaller)http.Items[typeof(CrewCaller)]!;

    public bool May(CrewRight right) => Role is { } role && CrewRights.May(role, right);

    /// <summary>For what a route alone does not tell, such as a change of a price among others.</summary>
    /// <exception cref="NotYoursException">It may not.</exception>
    public void Must(CrewRight right)
    {
        if (!May(right))
            throw new NotYoursException(Words(Role, right));
    }

    /// <summary>That a role may not do something.</summary>
    public static string Words(CrewRole? role, CrewRight right) =>
        $"{(role is { } known ? $"A {Calls.Name(known)}" : "Who has not joined")} may not {Calls.Name(right)}.";

    /// <summary>May a thing be seen that belongs to this rig.</summary>
    public bool Sees(Guid rig) => Rig is not { } only || only == rig;

    /// <summary>The name under which something is written: of who holds the device, unless several share it or it is this machine.</summary>
    /// <param name="typed">In the request.</param>
    public string Signs(string typed) => Shared ? typed.Trim() : Name;

    /// <summary>The device under which something is written on site: what it calls itself, behind what the gate knows it by.</summary>
    /// <param name="typed">In the request.</param>
    public string Sends(string typed) => Device is { } id ? Of(id, typed) : typed;

    private static string Of(Guid id, string typed) => $"{id.ToString("N")[..ShortDigits]}/{typed}";
}

/// <summary>Somebody asks for what is not theirs to do.</summary>
public sealed class NotYoursException(string words) : Exception(words);
