using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Core.Tests.Job;

/// <summary>Job files of every version are read for ever: the demo rigs as version 1 wrote them.</summary>
public partial class JobFileVersionTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "JobFiles");

    public static TheoryData<string> Firsts => [.. Directory.GetFiles(Folder, "*.v1.json").Select(f => Path.GetFileName(f)!).Order()];

    [GeneratedRegex(@"/\d+(?=/|$)")]
    private static partial Regex Row();

    /// <summary>Where a value of version 1 stands today.</summary>
    private static string Today(string path)
    {
        var pattern = Row().Replace(path, "/*");
        foreach (var renamed in JobFileVersions.Second)
            foreach (var part in renamed.Part)
                if (DesignPath.Overlap(pattern, $"{part}/{renamed.Was}") && pattern.Length >= part.Length + renamed.Was.Length + 1)
                {
                    var depth = part.Count(c => c == '/') + 1;
                    var names = path.Split('/');
                    names[depth] = renamed.Is;
                    return string.Join('/', names);
                }
        return path;
    }

    private static IEnumerable<(string Path, JsonNode? Value)> Leaves(JsonNode? node, string path = "") => node switch
    {
        JsonObject o => o.SelectMany(p => Leaves(p.Value, $"{path}/{p.Key}")),
        JsonArray a => a.SelectMany((v, i) => Leaves(v, $"{path}/{i}")),
        _ => [(path, node)],
    };

    [Theory]
    [MemberData(nameof(Firsts))]
    public void A_file_of_version_1_keeps_every_value(string name)
    {
        var text = File.ReadAllText(Path.Combine(Folder, name));
        var first = JsonNode.Parse(text)!;
        ((int)first["version"]!).ShouldBe(1);
        var today = JsonNode.Parse(JobFile.Write(JobFile.Read(text)))!;
        ((int)today["version"]!).ShouldBe(JobDesign.CurrentVersion);
        foreach (var (path, value) in Leaves(first).Where(l => l.Path != "/version"))
            JsonNode.DeepEquals(DesignPath.Get(today, Today(path)), value).ShouldBeTrue($"{path} is {value?.ToJsonString()}");
        var moved = Leaves(first).Count(l => Today(l.Path) != l.Path);
        moved.ShouldBeGreaterThan(8, "the file has fields that were renamed");
        Leaves(today).Select(l => l.Path).Except(Leaves(first).Select(l => Today(l.Path))).Where(p => p.EndsWith('V') || p.EndsWith('C')).Where(p =>
            !p.EndsWith("/roomC", StringComparison.Ordinal) && !p.StartsWith("/mount/", StringComparison.Ordinal)
            && !p.StartsWith("/wiring/", StringComparison.Ordinal) && !p.StartsWith("/energy/away/", StringComparison.Ordinal)
            && !p.StartsWith("/commission/", StringComparison.Ordinal)).ShouldBeEmpty();
    }

    [Fact]
    public void The_table_names_fields_that_there_are_and_none_that_there_are_still()
    {
        var known = JobFile.Fields.Select(f => f.Path).ToHashSet();
        foreach (var renamed in JobFileVersions.Second)
            foreach (var part in renamed.Part)
            {
                known.ShouldContain($"{part}/{renamed.Is}");
                known.ShouldNotContain($"{part}/{renamed.Was}");
            }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(3)]
    public void Another_version_is_refused(int version) =>
        Should.Throw<InputException>(() => JobFile.Read("{\"version\":" + version + ",\"survey\":{}}")).Message.ShouldContain("versions 1 to 2");

    [Fact]
    public void A_file_of_today_comes_back_as_it_is()
    {
        var text = JobFile.Write(new JobDesign());
        JobFile.BringUp(text).ShouldBeSameAs(text);
        JobFile.BringUp("""{"version":1,"survey":{"sources":{"shore":{"fitted":true}}},"mine":1}""")
            .ShouldBe("""{"version":2,"survey":{"sources":{"shore":{"pluggedIn":true}}},"mine":1}""");
    }
}
