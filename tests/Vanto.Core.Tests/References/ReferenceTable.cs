using System.Globalization;

namespace Vanto.Core.Tests.References;

/// <summary>Reads a reference table made by a script under tests/references.</summary>
internal static class ReferenceTable
{
    /// <summary>Rows of numbers by column name.</summary>
    public static IEnumerable<Dictionary<string, double>> Read(string name)
    {
        var lines = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "References", name)).Where(l => l.Length > 0 && l[0] != '#').ToList();
        var columns = lines[0].Split(',');
        return lines.Skip(1).Select(
            l => l.Split(',').Select((v, i) => (columns[i], double.Parse(v, CultureInfo.InvariantCulture))).ToDictionary(x => x.Item1, x => x.Item2));
    }
}
