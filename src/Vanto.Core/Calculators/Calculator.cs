using System.Reflection;
using System.Text.RegularExpressions;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Calculators;

/// <summary>Marks a calculation for the Bench and the API. Its method takes one record of inputs and returns a <see cref="CalculationResult"/>.</summary>
[AttributeUsage(AttributeTargets.Method)]
public sealed class CalculatorAttribute(string name, string title, string purpose) : Attribute
{
    /// <summary>Name in the API, in kebab case.</summary>
    public string Name { get; } = name;

    /// <summary>Title on the Bench.</summary>
    public string Title { get; } = title;

    /// <summary>What judgement it takes over.</summary>
    public string Purpose { get; } = purpose;

    /// <summary>Names in <see cref="Citations"/>; at least one.</summary>
    public string[] CitationIds { get; init; } = [];
}

/// <summary>Result of a calculation: figures with their quantities, working, findings.</summary>
public sealed record CalculationResult(IReadOnlyList<CalculationFigure> Figures, Working Working, IReadOnlyList<Finding> Findings);

/// <summary>One result.</summary>
/// <param name="Name">Its key for programs: what it is and its unit, such as <c>airDensityKgM3</c>; no other figure of the result has it.</param>
/// <param name="Symbol">As in the formula.</param>
/// <param name="Label">As a person says it.</param>
/// <param name="Value">Inside (SI); empty where the result is in words.</param>
/// <param name="Quantity">Of the value.</param>
/// <param name="Words">A result in words; empty where it is a number.</param>
public sealed record CalculationFigure(string Name, string Symbol, string Label, double? Value, QuantityKind Quantity, string Words);

/// <summary>A registered calculation.</summary>
public sealed record CalculatorInfo(string Name, string Title, string Purpose, string Station, Type InputType, MethodInfo Method,
    IReadOnlyList<Citation> Citations);

/// <summary>All calculations, found by their attribute.</summary>
public static class CalculatorRegistry
{
    /// <summary>All calculations by name.</summary>
    public static IReadOnlyDictionary<string, CalculatorInfo> All { get; } = typeof(CalculatorRegistry).Assembly.GetTypes()
        .SelectMany(t => t.GetMethods(BindingFlags.Public | BindingFlags.Static))
        .Select(m => (Method: m, Info: m.GetCustomAttribute<CalculatorAttribute>()))
        .Where(x => x.Info is not null)
        .Select(x => new CalculatorInfo(x.Info!.Name, x.Info.Title, x.Info.Purpose, x.Method.DeclaringType!.Namespace!.Split('.')[^1],
            x.Method.GetParameters()[0].ParameterType, x.Method, [.. x.Info.CitationIds.Select(Citations.Named)]))
        .OrderBy(c => c.Name, StringComparer.Ordinal)
        .ToDictionary(c => c.Name);

    /// <summary>Runs one with checked inputs.</summary>
    /// <exception cref="InputException">Inputs out of range, or refused by the calculation.</exception>
    public static CalculationResult Run(CalculatorInfo calculator, object input)
    {
        var errors = FieldCatalogue.Check(input);
        if (errors.Count > 0)
            throw new InputException(errors);
        try
        {
            var result = (CalculationResult)calculator.Method.Invoke(null, [input])!;
            return result.Figures.Any(f => f.Value is { } v && (double.IsNaN(v) || double.IsInfinity(v)))
                ? throw new InputException(calculator.Name, "", "these inputs have no finite result; bring them closer to what is usual")
                : result;
        }
        catch (TargetInvocationException e) when (e.InnerException is InputException inner)
        {
            throw inner;
        }
    }
}

/// <summary>Collects the figures of a result.</summary>
public sealed partial class ResultBuilder
{
    private readonly List<CalculationFigure> _figures = [];
    private readonly List<Finding> _findings = [];

    /// <summary>The working under way.</summary>
    public WorkingBuilder Working { get; } = Findings.Working.Start();

    /// <summary>Adds a number.</summary>
    public ResultBuilder Number(string symbol, string label, double value, QuantityKind quantity)
    {
        _figures.Add(new CalculationFigure(Name(label, QuantityTable.Of(quantity).InsideSymbol), symbol, label, value, quantity, ""));
        return this;
    }

    /// <summary>Adds a number with the step it comes from.</summary>
    public ResultBuilder Step(string symbol, string label, string formula, FormattableString numbers, double value, QuantityKind quantity, Citation citation)
    {
        Working.Step(symbol, formula, numbers, value, QuantityTable.Of(quantity).InsideSymbol, citation);
        return Number(symbol, label, value, quantity);
    }

    /// <summary>Adds words.</summary>
    public ResultBuilder Words(string symbol, string label, string words)
    {
        _figures.Add(new CalculationFigure(Name(label, ""), symbol, label, null, QuantityKind.Number, words));
        return this;
    }

    /// <summary>Adds a finding where there is one.</summary>
    public ResultBuilder Judge(Finding? finding)
    {
        if (finding is not null)
            _findings.Add(finding);
        return this;
    }

    /// <summary>A label and a unit as one word in camel case, with a number where another figure has it already.</summary>
    private string Name(string label, string unit)
    {
        var words = NotInNames().Split(label).Where(w => w.Length > 0).ToList();
        var name = string.Concat(words.Select((w, i) => i == 0 ? w.ToLowerInvariant() : char.ToUpperInvariant(w[0]) + w[1..].ToLowerInvariant()));
        name = name.Length == 0 || char.IsAsciiDigit(name[0]) ? "at" + name : name;
        var plain = unit.Replace("²", "2").Replace("³", "3").Replace("°", "").Replace("Ω", "Ohm").Replace("%", "Pct");
        var whole = name + string.Concat(NotInNames().Split(plain)
            .Where(w => w.Length > 0).Select(w => char.ToUpperInvariant(w[0]) + w[1..]));
        var taken = _figures.Count(f => f.Name == whole || f.Name.StartsWith(whole + "_", StringComparison.Ordinal));
        return taken == 0 ? whole : $"{whole}_{taken + 1}";
    }

    [GeneratedRegex("[^A-Za-z0-9]+")]
    private static partial Regex NotInNames();

    public CalculationResult Done() => new(_figures, Working.Done(), _findings);
}
