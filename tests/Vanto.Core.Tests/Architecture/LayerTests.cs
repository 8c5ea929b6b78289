using System.Xml.Linq;
using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using ArchUnitNET.xUnit;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Vanto.Core.Tests.Architecture;

/// <summary>What may lean on what.</summary>
public class LayerTests
{
    private static readonly ArchUnitNET.Domain.Architecture Core = new ArchLoader().LoadAssemblies(typeof(Vanto.Core.Job.Assessor).Assembly).Build();

    /// <summary>Stations in the order of the work; a station may not use a later one.</summary>
    private static readonly string[] Order = [.. StationRegistry.Standard.All.Select(s => s.GetType().Namespace!.Split('.')[^1])];

    public static IEnumerable<object[]> Later => Order.SelectMany((station, i) => Order.Skip(i + 1).Select(later => new object[] { station, later }));

    [Fact]
    public void The_core_references_nothing_that_does_input_or_output()
    {
        string[] allowed = ["System.Runtime", "System.Collections", "System.Linq", "System.Text.Json", "System.Text.RegularExpressions",
            "System.Threading.Tasks.Parallel", "System.Threading", "System.Numerics.Vectors", "System.Runtime.Numerics", "System.Memory",
            "System.Runtime.InteropServices", "System.Text.Encodings.Web", "System.Security.Cryptography",
            "System.Collections.Immutable", "System.ComponentModel.Primitives",
            "System.Collections.Concurrent", "MathNet.Numerics", "NodaTime", "Google.OrTools"];
        typeof(Vanto.Core.Job.Assessor).Assembly.GetReferencedAssemblies().Select(a => a.Name!).ShouldBeSubsetOf(allowed);
    }

    /// <summary>The library of steps and the book of faults are read from the assembly itself.</summary>
    [Fact]
    public void The_core_reads_no_file_clock_console_or_chance() =>
        Types().That().ResideInAssembly(typeof(Vanto.Core.Job.Assessor).Assembly).And().AreNot(typeof(Vanto.Core.Plan.TaskLibrary))
            .And().AreNot(typeof(Vanto.Core.Commission.FaultBook)).Should()
            .NotDependOnAnyTypesThat()
                .HaveFullNameMatching(@"^System\.(IO\.(File|Directory|Stream)|Console|Net\.|Random|Environment|TimeProvider|Diagnostics\.Stopwatch)")
            .Check(Core);

    [Fact]
    public void The_clock_is_never_asked()
    {
        IType[] clocks = [.. Core.Types.Where(t => t.FullName is "System.DateTime" or "System.DateTimeOffset")];
        Core.Types.SelectMany(t => t.Dependencies).Where(d => d is ArchUnitNET.Domain.Dependencies.MethodCallDependency call && clocks.Contains(call.Target)
            && (call.TargetMember.Name.Contains("get_Now", StringComparison.Ordinal)
                || call.TargetMember.Name.Contains("get_UtcNow", StringComparison.Ordinal)))
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_station_reads_only_what_the_stations_before_it_found()
    {
        var found = new HashSet<System.Type>();
        foreach (var station in StationRegistry.Standard.All)
        {
            found.UnionWith(station.Keeps.Select(k => k.Record));
            station.Reads.Where(r => !r.IsSubclassOf(typeof(DesignPart))).ShouldBeSubsetOf(found, station.Name);
            found.Add(station.Result);
        }
    }

    [Theory]
    [MemberData(nameof(Later))]
    public void A_station_does_not_lean_on_a_later_one(string station, string later) =>
        Types().That().ResideInNamespaceMatching($@"^Vanto\.Core\.{station}$").Should()
            .NotDependOnAnyTypesThat().ResideInNamespaceMatching($@"^Vanto\.Core\.{later}$")
            .Check(Core);

    [Theory]
    [InlineData("Quantities", "Findings")]
    [InlineData("Quantities", "Physics")]
    [InlineData("Physics", "Supply")]
    [InlineData("Physics", "Survey")]
    [InlineData("Supply", "Survey")]
    [InlineData("Supply", "Start")]
    [InlineData("Supply", "Stations")]
    [InlineData("Physics", "Load")]
    [InlineData("Physics", "Job")]
    [InlineData("Findings", "Job")]
    [InlineData("Findings", "Stations")]
    [InlineData("Stations", "Job")]
    [InlineData("Stations", "Survey")]
    public void Common_rooms_do_not_lean_on_what_is_built_on_them(string room, string above) =>
        Types().That().ResideInNamespaceMatching($@"^Vanto\.Core\.{room}$").Should()
            .NotDependOnAnyTypesThat().ResideInNamespaceMatching($@"^Vanto\.Core\.{above}$")
            .Check(Core);

    [Theory]
    [InlineData("Vanto.Core", new string[0])]
    [InlineData("Vanto.Storage", new[] { "Vanto.Core" })]
    [InlineData("Vanto.Documents", new[] { "Vanto.Core" })]
    [InlineData("Vanto.Instruments", new[] { "Vanto.Core" })]
    [InlineData("Vanto.Web", new[] { "Vanto.Core", "Vanto.Storage", "Vanto.Documents", "Vanto.Instruments" })]
    public void Each_project_leans_only_on_those_below_it(string project, string[] below)
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Vanto.slnx")))
            folder = Path.GetDirectoryName(folder)!;
        var file = XDocument.Load(Path.Combine(folder, "src", project, project + ".csproj"));
        file.Descendants().Attributes("Include").Where(a => a.Parent!.Name.LocalName == "ProjectReference")
            .Select(a => Path.GetFileNameWithoutExtension(a.Value.Replace('\\', '/'))).ShouldBeSubsetOf(below);
        file.Descendants().Attributes("Include").ShouldAllBe(a => !a.Value.Contains("/ui/"));
    }
}
