using Vanto.Core.Quantities;

namespace Vanto.Core.Findings;

/// <summary>One line of a working: a symbol, how it is found, the numbers put in, the result and where the formula stands.</summary>
public sealed record WorkingStep(string Symbol, string Formula, string Numbers, double Value, string Unit, Citation Citation);

/// <summary>How a figure came about, so that it can be checked with a pencil.</summary>
public sealed record Working(IReadOnlyList<WorkingStep> Steps)
{
    /// <summary>A working without steps.</summary>
    public static readonly Working None = new([]);

    public static WorkingBuilder Start() => new();
}

/// <summary>Builds a working line by line.</summary>
public sealed class WorkingBuilder
{
    private readonly List<WorkingStep> _steps = [];

    /// <summary>Adds one line.</summary>
    public WorkingBuilder Step(string symbol, string formula, FormattableString numbers, double value, string unit, Citation citation)
    {
        _steps.Add(new WorkingStep(symbol, formula, FormattableString.Invariant(numbers), value, unit, citation));
        return this;
    }

    /// <summary>Adds a number that was put in.</summary>
    public WorkingBuilder Given(string symbol, string what, double value, string unit, Citation citation)
    {
        _steps.Add(new WorkingStep(symbol, what, "given", value, unit, citation));
        return this;
    }

    /// <summary>Adds another working's lines.</summary>
    public WorkingBuilder Include(Working other)
    {
        _steps.AddRange(other.Steps);
        return this;
    }

    /// <summary>The finished working.</summary>
    public Working Done() => new(_steps);
}

/// <summary>A figure on screen: value, quantity, what it is called, and its working.</summary>
public sealed record Figure(string Label, double Value, QuantityKind Quantity, Working Working)
{
    /// <summary>The leaf of its station on which it stands; empty for the first.</summary>
    public string Leaf { get; init; } = "";
}
