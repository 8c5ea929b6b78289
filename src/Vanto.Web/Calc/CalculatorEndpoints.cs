using System.Text.Json.Nodes;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Calculators;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Web.Crew;

namespace Vanto.Web.Calc;

/// <summary>A calculation as the Bench shows it.</summary>
public sealed record CalculatorView(string Name, string Title, string Purpose, string Station, IReadOnlyList<FieldInfo> Fields,
    IReadOnlyList<Citation> Citations, JsonElement Defaults);

/// <summary>What a calculation takes, for the document of the API: inputs in SI, or as typed with their units.</summary>
public sealed record CalculationCall<T>(T Inputs, IReadOnlyDictionary<string, string?>? Typed = null,
    Core.Quantities.UnitSystem Units = Core.Quantities.UnitSystem.Metric, bool DecimalComma = false);

/// <summary>Every calculation without a job.</summary>
public static class CalculatorEndpoints
{
    private static readonly List<CalculatorView> Views = [.. CalculatorRegistry.All.Values.Select(View)];

    /// <summary>Maps <c>GET /api/calc</c> and <c>POST /api/calc/{name}</c> for each calculation.</summary>
    public static void MapCalculators(this RouteGroupBuilder api)
    {
        var calc = api.MapGroup("/calc").WithTags("calc").Needs(CrewRight.Read, Reach.Common);
        calc.MapGet("/", () => Views);
        foreach (var view in Views)
            calc.MapPost($"/{view.Name}", async (HttpRequest request, HttpContext http) => Run(view, await RequestText.Json<CalculationRequest>(request), http))
                .Accepts(typeof(CalculationCall<>).MakeGenericType(CalculatorRegistry.All[view.Name].InputType), "application/json")
                .WithSummary(view.Title).WithDescription(view.Purpose);
        calc.MapPost("/{name}", Unknown).ExcludeFromDescription();
    }

    private static CalculatorView View(CalculatorInfo info)
    {
        var fresh = Activator.CreateInstance(info.InputType)!;
        return new CalculatorView(info.Name, info.Title, info.Purpose, info.Station, FieldCatalogue.Of(info.InputType, fresh, JobFile.Json), info.Citations,
            JsonSerializer.SerializeToElement(fresh, info.InputType, JobFile.Json));
    }

    private static ProblemHttpResult Unknown(string name) => TypedResults.Problem(
        $"There is no calculation \"{name}\"; there are {string.Join(", ", Views.Select(v => v.Name))}.", statusCode: StatusCodes.Status404NotFound,
        title: "No such calculation.");

    private static Ok<CalculationResult> Run(CalculatorView view, CalculationRequest request, HttpContext http)
    {
        InputProblems.ReadsIn(http, request.Units);
        return TypedResults.Ok(CalculatorRegistry.Run(CalculatorRegistry.All[view.Name], Inputs(view, request)));
    }

    /// <summary>Inputs of a calculation of that name as they were typed, checked.</summary>
    /// <exception cref="InputException">No such input, a text that cannot be read, or a value out of its range.</exception>
    public static object Inputs(string name, CalculationRequest request)
    {
        var inputs = Inputs(Views.Single(v => v.Name == name), request);
        return FieldCatalogue.Check(inputs) is { Count: > 0 } errors ? throw new InputException(errors) : inputs;
    }

    private static object Inputs(CalculatorView view, CalculationRequest request)
    {
        var inputs = (JsonObject)request.Inputs.DeepClone();
        var errors = new List<InputError>();
        InputError NoInput(string key, string given) => InputError.Fault(key, given,
            $"{key} is no input of {view.Name}; its inputs are "
                + $"{string.Join(", ", view.Fields.Where(f => !f.Path[1..].Contains('/')).Select(f => f.Path[1..]))}.");
        errors.AddRange(inputs.Select(i => i.Key).Where(k => view.Fields.All(f => f.Path != "/" + k)).Select(k => NoInput(k, "")));
        foreach (var (key, text) in request.Typed ?? new Dictionary<string, string?>())
        {
            if (TypedFields.Find(view.Fields, "/" + key) is not { } field)
            {
                errors.Add(NoInput(key, text ?? ""));
                continue;
            }
            try
            {
                DesignPath.Set(inputs, "/" + key, TypedFields.Parse(field, key, text ?? "", request.Units, request.DecimalComma));
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
            return inputs.Deserialize(CalculatorRegistry.All[view.Name].InputType, JobFile.Json)!;
        }
        catch (JsonException e)
        {
            throw new InputException(JobFile.Fault(e));
        }
    }
}
