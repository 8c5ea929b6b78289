namespace Vanto.Core.Tests.Architecture;

/// <summary>What no formatter holds: how long a line may be.</summary>
public class LineTests
{
    private const int Longest = 160;
    private static readonly string[] Kinds = [".cs", ".ts", ".vue", ".css"];
    private static readonly string[] Made = ["obj", "bin", "node_modules", "Migrations", "generated", "dist"];

    [Theory]
    [InlineData("src")]
    [InlineData("tests")]
    [InlineData("bench")]
    public void No_line_is_longer_than_160_characters(string folder)
    {
        var root = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(root, "Vanto.slnx")))
            root = Path.GetDirectoryName(root)!;
        var files = Files(new DirectoryInfo(Path.Combine(root, folder))).ToList();
        files.Count.ShouldBeGreaterThan(1);
        files.SelectMany(f => File.ReadLines(f.FullName).Select((line, i) => (line.Length, Place: $"{f.Name}:{i + 1}")))
            .Where(l => l.Length > Longest).Select(l => l.Place).ShouldBeEmpty();
    }

    private static IEnumerable<FileInfo> Files(DirectoryInfo folder) => folder.EnumerateFiles().Where(f => Kinds.Contains(f.Extension))
        .Concat(folder.EnumerateDirectories().Where(d => !Made.Contains(d.Name)).SelectMany(Files));
}
