using System.Text.RegularExpressions;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Core.Tests.Findings;

/// <summary>The one list of findings: each code has a name, a station and its levels, and is worded in one place.</summary>
public partial class FindingCodeTests
{
    private static readonly IReadOnlyDictionary<string, string> Sources = Directory
        .EnumerateFiles(Path.Combine(Root(), "src", "Vanto.Core"), "*.cs", SearchOption.AllDirectories)
        .Where(f => !f.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}", StringComparison.Ordinal)
            && Path.GetFileName(f) is not ("FindingCode.cs" or "Finding.cs"))
        .ToDictionary(f => f, File.ReadAllText);

    private static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Vanto.slnx")))
            folder = Path.GetDirectoryName(folder)!;
        return folder;
    }

    [GeneratedRegex(@"FindingCode\.(\w+)")]
    private static partial Regex Used();

    [GeneratedRegex(@"FindingCode\.(\w+),(?<levels>[^$]*?Severity\.\w+[^$]*?)(?:\$""|Phrase\.|words)", RegexOptions.Singleline)]
    private static partial Regex Weighed();

    [Fact]
    public void Each_code_is_worded_in_one_place()
    {
        var places = Sources.Values.SelectMany(s => Used().Matches(s)).Select(m => m.Groups[1].Value).CountBy(c => c).ToDictionary();
        places.Where(p => p.Value > 1).Select(p => p.Key).ShouldBeEmpty("worded more than once");
        Enum.GetNames<FindingCode>().Except(places.Keys).ShouldBeEmpty("never found");
        Sources.Values.Where(s => s.Contains("new Finding(", StringComparison.Ordinal)).ShouldBeEmpty("a finding is made by its code");
    }

    [Fact]
    public void Each_code_has_its_name_its_station_and_its_levels()
    {
        var all = Enum.GetValues<FindingCode>().Select(Finding.About).ToList();
        all.Select(a => a.Name).ShouldBeUnique();
        all.Select(a => a.Station).Distinct().ShouldBeSubsetOf(StationRegistry.Standard.Names);
        all.ShouldAllBe(a => a.Levels.Count > 0);
    }

    [Fact]
    public void Each_code_names_a_leaf_of_its_station_and_a_field_that_there_is()
    {
        foreach (var about in Enum.GetValues<FindingCode>().Select(Finding.About))
        {
            var leaves = StationRegistry.Standard.All.Single(s => s.Name == about.Station).Leaves.Select(l => l.Name).ToList();
            if (about.Leaf.Length > 0)
                leaves.ShouldContain(about.Leaf, about.Name);
            if (about.Field.Length > 0)
                JobFile.Fields.ShouldContain(f => f.Path == about.Field && f.Input != "list", $"{about.Name}: {about.Field}");
        }
    }

    [Fact]
    public void No_place_weighs_a_finding_otherwise_than_the_list_says()
    {
        var seen = 0;
        foreach (Match match in Sources.Values.SelectMany(s => Weighed().Matches(s)))
        {
            var code = Enum.Parse<FindingCode>(match.Groups[1].Value);
            foreach (Match level in LevelOf().Matches(match.Groups["levels"].Value))
            {
                Finding.About(code).Levels.ShouldContain(Enum.Parse<Severity>(level.Groups[1].Value), code.ToString());
                seen++;
            }
        }
        seen.ShouldBeGreaterThan(100);
    }

    [GeneratedRegex(@"Severity\.(\w+)")]
    private static partial Regex LevelOf();
}
