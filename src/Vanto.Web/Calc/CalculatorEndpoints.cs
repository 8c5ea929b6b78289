using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Web.Calc;

/// <summary>A calculation as the Bench shows it.</summary>
public sealed record CalculatorView(string Name, string Title, string Purpose, string Station, IReadOnlyList<FieldInfo> Fields, IReadOnlyList<Source> Sources, JsonElement Defaults);

/// <summary>Every calculation without a job.</summary>
public static class CalculatorEndpoints
{
    private static readonly List<CalculatorView> Views = [.. CalculatorRegistry.All.Values.Select(View)];

    /// <summary>Maps <c>GET /api/calc</c> and <c>POST /api/calc/{name}</c>.</summary>
    public static void MapCalculators(this RouteGroupBuilder api)
    {
        var calc = api.MapGroup("/calc").WithTags("calc");
        calc.MapGet("/", () => Views);
        calc.MapPost("/{name}", Run);
    }

    private static CalculatorView View(CalculatorInfo info)
    {
        var fresh = Activator.CreateInstance(info.InputType)!;
        return new CalculatorView(info.Name, info.Title, info.Purpose, info.Station, FieldCatalogue.Of(info.InputType, fresh, JobFile.Json), info.Sources, JsonSerializer.SerializeToElement(fresh, info.InputType, JobFile.Json));
    }

    private static Results<Ok<CalculationResult>, NotFound> Run(string name, CalculationRequest request)
    {
        if (!CalculatorRegistry.All.TryGetValue(name, out var info))
            return TypedResults.NotFound();
        var view = Views.First(v => v.Name == name);
        var inputs = request.Inputs?.DeepClone() as JsonObject ?? [];
        var errors = new List<InputError>();
        foreach (var unknown in inputs.Select(i => i.Key).Where(k => view.Fields.All(f => f.Path != "/" + k)))
            errors.Add(InputError.Fault(unknown, "", $"{unknown} is no input of {name}"));
        foreach (var (key, text) in request.Typed ?? new Dictionary<string, string>())
        {
            if (TypedFields.Find(view.Fields, "/" + key) is not { } field)
            {
                errors.Add(InputError.Fault(key, text, $"{key} is no input of {name}"));
                continue;
            }
            try
            {
                JsonPath.Set(inputs, "/" + key, TypedFields.Parse(field, key, text, request.Units, request.DecimalComma));
            }
            catch (InputException e)
            {
                errors.AddRange(e.Errors);
            }
        }
        if (errors.Count > 0)
            throw new InputException(errors);
        try
        {
            return TypedResults.Ok(CalculatorRegistry.Run(info, inputs.Deserialize(info.InputType, JobFile.Json)!));
        }
        catch (JsonException e)
        {
            throw new InputException(e.Path is { Length: > 2 } path ? path[2..] : "inputs", "", $"{e.Path}: the value is of the wrong kind.");
        }
    }
}
