using System.Net;
using System.Text.Json.Nodes;
using Vanto.Core.Calculators;
using Vanto.Core.Job;
using Vanto.Core.Quantities;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>
/// Every field of the design, out of its range and at its ends: refused by name, value and range, or taken as it stands. Nothing is moved into range.
/// </summary>
public class FieldRangeTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static readonly IReadOnlyList<FieldInfo> Fields = FieldCatalogue.Of(typeof(JobDesign), new JobDesign(), JobFile.Json);

    public static TheoryData<string> Numbers => [.. Fields.Where(f => f.Min is not null && f.Max is not null).Select(f => f.Path)];

    /// <summary>The path with its lists given one row, and the rows to be set first, the outermost first.</summary>
    private static (string Path, List<object> Rows) Inside(string path)
    {
        var rows = new List<object>();
        var parts = path.Split('/');
        for (var i = 1; i < parts.Length; i++)
        {
            if (parts[i] != "*")
                continue;
            parts[i] = "0";
            var list = string.Join('/', parts[..i]);
            var row = Fields.First(f => f.Path == string.Join('/', path.Split('/')[..i])).Default;
            rows.Add(Set(list, new JsonArray(row is { } r ? JsonNode.Parse(r.GetRawText()) : null)));
        }
        return (string.Join('/', parts), rows);
    }

    [Theory]
    [MemberData(nameof(Numbers))]
    public async Task Out_of_its_range_it_is_refused_by_name_and_at_its_end_it_is_taken(string path)
    {
        var field = Fields.Single(f => f.Path == path);
        var (at, rows) = Inside(path);
        var rig = await server.Begin("Linnet");
        var revision = rig.Revision();
        foreach (var row in rows)
            revision = (await Read(await server.Patch(rig.Id(), revision, [row]))).Revision();
        var span = Math.Max(1, field.Max!.Value - field.Min!.Value);
        foreach (var bad in new[] { field.Max.Value + span, field.Min.Value - span })
        {
            var refused = await Read(await server.Patch(rig.Id(), revision, [Set(at, bad)]), HttpStatusCode.BadRequest);
            var error = refused["errors"]![0]!;
            error.Text("/field").ShouldBe(at);
            var shown = QuantityTable.Of(field.Quantity!.Value).Metric;
            error.Text("/unit").ShouldBe(shown.Symbol);
            error.Number("/min").ShouldBe(shown.FromInside(field.Min.Value), 1e-6, "wholly in the reader's units");
            error.Number("/max").ShouldBe(shown.FromInside(field.Max.Value), 1e-6 * Math.Abs(field.Max.Value));
            double.Parse(error.Text("/given"), System.Globalization.CultureInfo.InvariantCulture).ShouldBe(shown.FromInside(bad), 1e-6 * Math.Abs(bad));
            refused.Text("/detail").ShouldContain(field.Label);
        }
        var before = await server.View(rig.Id());
        before.Revision().ShouldBe(revision, "nothing was kept of what was refused");
        foreach (var end in new[] { field.Max.Value, field.Min.Value })
        {
            var taken = await Read(await server.Patch(rig.Id(), revision, [Set(at, end)]));
            taken.Number("/design" + at).ShouldBe(end, "as it was given");
            revision = taken.Revision();
        }
    }
}
