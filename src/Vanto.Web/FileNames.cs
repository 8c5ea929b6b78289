namespace Vanto.Web;

/// <summary>File names made of rigs' names.</summary>
public static class FileNames
{
    /// <summary>Letters, digits and hyphens of a name.</summary>
    public static string Safe(string name)
    {
        var safe = string.Concat(name.Select(c => char.IsAsciiLetterOrDigit(c) ? char.ToLowerInvariant(c) : '-')).Trim('-');
        return safe.Length == 0 ? "rig" : safe;
    }
}
