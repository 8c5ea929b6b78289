using System.Text.Json;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Vanto.Core.Calculators;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Web;

/// <summary>Writes for the interface's build what it shall not write a second time: units, fields, options, the API.</summary>
public static class Describe
{
    private sealed record UnitView(string Symbol, double Factor, double Offset, int Decimals, int Digits, bool Bare, double WholeFrom);

    private sealed record GaugeView(string Name, double AreaMm2);

    private sealed record QuantityView(QuantityKind Kind, UnitView Metric, UnitView Customary, IReadOnlyList<string> Symbols);

    private sealed record Description(IReadOnlyList<QuantityView> Quantities, IReadOnlyList<FieldInfo> Fields,
        IReadOnlyDictionary<string, IReadOnlyList<FieldInfo>> RecordFields, IReadOnlyDictionary<string, IReadOnlyList<Option>> Options,
        IReadOnlyList<StationView> Stations, IReadOnlyList<GaugeView> Gauges);

    private sealed record StationView(string Name, StationPhase Phase, IReadOnlyList<StationLeaf> Leaves);

    /// <summary>Writes <c>description.json</c> and <c>openapi.json</c> into a folder.</summary>
    public static async Task<int> Run(string folder)
    {
        Directory.CreateDirectory(folder);
        var description = new Description(
            [.. QuantityTable.All.Select(q => new QuantityView(q.Kind, View(q.Metric), View(q.Customary),
                [.. q.All.Select(u => u.Symbol).Where(s => s.Length > 0).Distinct()]))],
            JobFile.Fields, StationRegistry.Standard.RecordKinds.ToDictionary(k => k.Name, k => k.Fields), Options(),
            [.. StationRegistry.Standard.All.Select(s => new StationView(s.Name, s.Phase, s.Leaves))],
            [.. WireGauge.Sold.Select(g => new GaugeView(g.Name, g.AreaMm2))]);
        await File.WriteAllTextAsync(Path.Combine(folder, "description.json"), JsonSerializer.Serialize(description, JobFile.Json));

        await using var app = Server.Build(new WebApplicationOptions(), Path.Combine(folder, "none.db"), 0);
        await app.StartAsync();
        var provider = app.Services.GetRequiredKeyedService<IOpenApiDocumentProvider>("v1");
        var document = await provider.GetOpenApiDocumentAsync();
        await File.WriteAllTextAsync(Path.Combine(folder, "openapi.json"), await document.SerializeAsJsonAsync(OpenApiSpecVersion.OpenApi3_1));
        await app.StopAsync();
        return 0;
    }

    private static UnitView View(UnitOfMeasure unit) => new(unit.Symbol, unit.Factor, unit.Offset, unit.Decimals, unit.Digits, unit.Bare, unit.WholeFrom);

    private static Dictionary<string, IReadOnlyList<Option>> Options() => new()
    {
        ["skins"] = [.. SurveyCatalogue.Skins.Select(s => new Option(s.Id, s.Name))],
        ["insulations"] = [.. Materials.All.Where(m => m.Insulation).Select(m => new Option(m.Id, m.Name))],
        ["materials"] = [.. Materials.All.Select(m => new Option(m.Id, m.Name))],
        ["paints"] = [.. SurveyCatalogue.Paints.Select(p => new Option(p.Id, p.Name))],
        ["glazings"] = [.. SurveyCatalogue.Glazings.Select(g => new Option(g.Id, g.Name))],
        ["covers"] = [.. SurveyCatalogue.Covers.Select(c => new Option(c.Id, c.Name))],
        ["steps"] = [new Option("", "nothing"), .. TaskLibrary.Standard.Tasks.Select(t => new Option(t.Id, t.Name))],
        ["tools"] = [.. TaskLibrary.Standard.Tools.Select(t => new Option(t.Id, t.Name))],
        ["bought"] = [.. TaskLibrary.Standard.Materials.Select(m => new Option(m.Id, m.Name))],
        ["units"] = [.. UnitCatalogue.All.Select(u => new Option(u.Id, u.Name))],
    };
}
