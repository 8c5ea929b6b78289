using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Survey;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Job;

public class JobFileTests
{
    private static string Root
    {
        get
        {
            var folder = AppContext.BaseDirectory;
            while (!File.Exists(Path.Combine(folder, "Vanto.slnx")))
                folder = Path.GetDirectoryName(folder)!;
            return folder;
        }
    }

    /// <summary>What a list shows without reading the whole is what reading shows; what cannot be shown so is read whole.</summary>
    [Fact]
    public void A_glance_agrees_with_reading()
    {
        var design = RigPresets.New(RigKind.Bus, "Bittern") with { NextDate = "2027-04-01" };
        var text = JobFile.Write(design);
        var glance = JobFile.Glance(text)!;
        var read = JobGlance.Of(JobFile.Read(text));
        (glance.Name, glance.NextDate).ShouldBe((read.Name, read.NextDate));
        JsonSerializer.Serialize(glance.Survey, JobFile.Json).ShouldBe(JsonSerializer.Serialize(read.Survey, JobFile.Json));
        foreach (var other in new[] { "", "[]", "{}", text[..^9], text.Replace("\"version\":", "\"version\":1", StringComparison.Ordinal),
            JobFile.Write(design with { Survey = design.Survey with { Space = design.Survey.Space with { LengthM = 9999 } } }) })
            JobFile.Glance(other).ShouldBeNull();
    }

    [Fact]
    public void A_design_comes_back_as_it_went() =>
        JobFile.Write(JobFile.Read(JobFile.Write(NewcomersVan.Design))).ShouldBe(JobFile.Write(NewcomersVan.Design));

    /// <summary>Run <c>./vanto schema</c> after a change of the design's fields.</summary>
    [Fact]
    public void The_published_schema_is_the_one_of_this_code()
    {
        var page = File.ReadAllText(Path.Combine(Root, "docs", "job-file.md"));
        var start = page.IndexOf("```json\n", StringComparison.Ordinal) + 8;
        page[start..page.IndexOf("\n```", start, StringComparison.Ordinal)].ShouldBe(JobFileSchema.Text());
    }

    [Fact]
    public void The_schema_names_range_unit_and_choices()
    {
        var schema = JsonNode.Parse(JobFileSchema.Text())!;
        var space = schema["properties"]!["survey"]!["properties"]!["space"]!["properties"]!["lengthM"]!;
        ((double)space["minimum"]!).ShouldBe(0.8);
        ((string)space["unit"]!).ShouldBe("m");
        schema["properties"]!["survey"]!["properties"]!["kind"]!["enum"]!.AsArray().Select(n => (string)n!).ShouldContain("boat");
    }

    [Fact]
    public void Any_text_is_read_or_refused_with_a_place() =>
        Gen.String.Each(text => Refused(text), iter: 300);

    [Fact]
    public void A_file_with_one_value_spoilt_is_read_or_refused_with_a_place()
    {
        var whole = JobFile.Write(NewcomersVan.Design);
        Gen.Select(Gen.Int[0, whole.Length - 1], Gen.OneOfConst("", "\"", "}", "-", "9e99", "null", "[", "NaN")).Each(
            (at, noise) => Refused(whole[..at] + noise + whole[(at + 1)..]), iter: 400);
    }

    /// <summary>Every text of the outermost parts, one character longer than it may be.</summary>
    [Fact]
    public void A_text_too_long_is_refused_by_its_name()
    {
        var texts = FieldCatalogue.Of(typeof(JobDesign), NewcomersVan.Design, JobFile.Json)
            .Where(f => f is { Input: "text", Most: not null } && !f.Path.Contains('*', StringComparison.Ordinal)).ToList();
        texts.Count.ShouldBeGreaterThan(5);
        foreach (var field in texts)
        {
            var root = JsonNode.Parse(JobFile.Write(NewcomersVan.Design))!;
            AnyDesign.Put((JsonObject)root, field, 0);
            var parts = field.Path.Split('/', StringSplitOptions.RemoveEmptyEntries);
            parts[..^1].Aggregate(root, (node, part) => node[part]!)[parts[^1]] = new string('x', field.Most!.Value + 1);
            Should.Throw<InputException>(() => JobFile.Read(root.ToJsonString()), field.Path).Message.ShouldContain($"at most {field.Most} are taken");
        }
    }

    private static void Refused(string text)
    {
        try
        {
            JobFile.Read(text);
        }
        catch (InputException e)
        {
            e.Errors.ShouldAllBe(error => error.Field.Length > 0 && error.Reason.Length > 0);
        }
    }
}
