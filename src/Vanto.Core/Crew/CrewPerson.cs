namespace Vanto.Core.Crew;

/// <summary>Somebody of the crew, as far as their name stands behind work that another does.</summary>
/// <param name="Name">As they are called.</param>
/// <param name="Supervises">They may end alone what takes a licence, or have one.</param>
public sealed record CrewPerson(string Name, bool Supervises)
{
    /// <summary>Whether a typed name is theirs: letters' size and blanks around it count for nothing.</summary>
    public bool Is(string typed) => Same(Name, typed);

    /// <summary>Whether two names are one person's.</summary>
    public static bool Same(string one, string other) => string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);
}
