using System.Diagnostics;
using System.Text.Json;
using Vanto.Core.Quantities;

namespace Vanto.Web.Tests.Quantities;

/// <summary>A figure reads the same on the page and on what the core prints.</summary>
public sealed class ShownAlikeTests
{
    private static readonly double[] Values =
    [
        0, 0.0004, 0.0449, 0.05, 0.49999, 0.5, 0.9996, 1, 1.25, 2.675, 7.5, 11.99, 12.3456, 23.99, 25, 54.4, 99.96, 100, 273.15, 310.9, 999.4, 999.6,
        1000, 1234.5, 9999.5, 19_994, 19_996, 20_000, 99_940, 99_960, 123_456.7, 3_600_000, 98_765_432,
    ];

    [Fact]
    public async Task A_value_of_every_quantity_reads_alike_in_both_units()
    {
        var cases = Enum.GetValues<QuantityKind>().SelectMany(kind => Enum.GetValues<UnitSystem>().SelectMany(units =>
            Values.Concat(kind == QuantityKind.HourOfDay ? [] : Values.Select(v => -v)).Select(value => (Value: value, Kind: kind, Units: units)))).ToArray();
        var page = await Shown(cases);
        var apart = cases.Zip(page, (c, text) => (Case: c, Page: text, Core: Display.Text(c.Value, c.Kind, c.Units).Replace(' ', '\u00a0')))
            .Where(c => c.Page != c.Core).Select(c => $"{c.Case}: page '{c.Page}', core '{c.Core}'").ToArray();
        apart.ShouldBeEmpty();
    }

    private static async Task<string[]> Shown(IEnumerable<(double Value, QuantityKind Kind, UnitSystem Units)> cases)
    {
        var here = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(here, "Vanto.slnx")))
            here = Path.GetDirectoryName(here)!;
        var script = Path.Combine(here, "tests", "Vanto.Web.Tests", "Quantities", "shown.mjs");
        using var node = Process.Start(new ProcessStartInfo("node", [script, Path.Combine(here, "src", "ui")])
        {
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        })!;
        var errors = node.StandardError.ReadToEndAsync();
        var output = node.StandardOutput.ReadToEndAsync();
        await node.StandardInput.WriteAsync(JsonSerializer.Serialize(cases.Select(c =>
            new object[] { c.Value, JsonNamingPolicy.CamelCase.ConvertName(c.Kind.ToString()), c.Units == UnitSystem.Metric ? "metric" : "customary" })));
        node.StandardInput.Close();
        await node.WaitForExitAsync();
        node.ExitCode.ShouldBe(0, await errors);
        return JsonSerializer.Deserialize<string[]>(await output)!;
    }
}
