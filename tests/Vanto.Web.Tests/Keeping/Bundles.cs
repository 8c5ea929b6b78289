using Vanto.Documents;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Bundles as tests look into them.</summary>
internal static class Bundles
{
    /// <summary>All files of one that is whole.</summary>
    public static Dictionary<string, byte[]> Files(byte[] archive)
    {
        using var bundle = OpenBundle.Whole(new MemoryStream(archive));
        return bundle.Paths.ToDictionary(p => p, p => bundle.Content(p, OpenBundle.Budget));
    }

    /// <summary>What is wrong with one.</summary>
    public static List<string> Faults(byte[] archive)
    {
        using var bundle = OpenBundle.Unchecked(new MemoryStream(archive));
        return [.. bundle.Faults()];
    }

    /// <summary>A whole one of other files.</summary>
    public static byte[] Zip(IEnumerable<KeyValuePair<string, byte[]>> files) =>
        JobBundle.Zip(files.Where(f => f.Key is not (JobBundle.Sums or JobBundle.Manifest)).ToDictionary());
}
