using System.Globalization;
using System.Text.Json.Serialization;
using Vanto.Core.Quantities;

namespace Vanto.Core.Findings;

/// <summary>A value that cannot be used: which field, what was given, what is allowed and why.</summary>
/// <param name="Field">Its name, such as <c>survey.place.nightLowC</c>.</param>
/// <param name="Given">What was given, in metric units where it is a quantity.</param>
/// <param name="Min">Least allowed, in <paramref name="Unit"/>; empty where there is no such bound.</param>
/// <param name="Max">Most allowed.</param>
/// <param name="Unit">Unit of the bounds.</param>
/// <param name="Reason">Why, in a sentence with metric units.</param>
public sealed record InputError(string Field, string Given, double? Min, double? Max, string Unit, string Reason)
{
    private const int Digits = 10;

    /// <summary>The sentence with its measures, so that it can be said in the reader's units; null where it has none.</summary>
    [JsonIgnore]
    public Phrase? Words { get; init; }

    /// <summary>Quantity of a number given, and the number and its bounds inside (SI); null where the fault is another.</summary>
    [JsonIgnore]
    public (QuantityKind Kind, double Given, double Min, double Max)? Bounds { get; init; }

    /// <summary>A number outside its range.</summary>
    /// <param name="field">Its name.</param>
    /// <param name="called">What a person calls it.</param>
    /// <param name="kind">Its quantity.</param>
    /// <param name="given">The number, SI.</param>
    /// <param name="min">Least allowed, SI.</param>
    /// <param name="max">Most allowed, SI.</param>
    public static InputError Range(string field, string called, QuantityKind kind, double given, double min, double max) =>
        new InputError(field, "", null, null, "", "") { Bounds = (kind, given, min, max), Words = RangeWords(called, kind, given, min, max) }.InUnits(
            UnitSystem.Metric);

    /// <summary>Any other fault.</summary>
    public static InputError Fault(string field, string given, string reason) => new(field, given, null, null, "", reason);

    /// <summary>A fault whose reason has measures in it.</summary>
    public static InputError Fault(string field, Phrase given, Phrase words) => new(field, given.InUnits(), null, null, "", words.InUnits()) { Words = words };

    /// <summary>An id that a catalogue does not have; the ids that it has are named.</summary>
    public static InputError NoChoice(string field, string given, IEnumerable<string> choices) =>
        Fault(field, given, $"{field}: \"{given}\" is not in the catalogue; choose one of {string.Join(", ", choices)}.");

    /// <summary>The same, wholly in the units of a reader.</summary>
    public InputError InUnits(UnitSystem system)
    {
        var said = this with { Reason = Words?.InUnits(system) ?? Reason };
        if (Bounds is not { } b)
            return said;
        var unit = QuantityTable.Of(b.Kind).Shown(system);
        return said with
        {
            Given = Plain(unit.FromInside(b.Given)),
            Min = Rounded(unit.FromInside(b.Min)),
            Max = Rounded(unit.FromInside(b.Max)),
            Unit = unit.Symbol
        };
    }

    /// <summary>The same fault in a row of a file.</summary>
    public InputError In(string row, string field) =>
        this with { Field = $"{row}, {field}", Reason = $"{row}: {Reason}", Words = Words is null ? null : Phrase.Of($"{row}: {Words}") };

    /// <summary>Ten significant digits: what a conversion leaves beyond is noise.</summary>
    private static double Rounded(double value) => double.Parse(value.ToString("G" + Digits, CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);

    private static string Plain(double value) =>
        double.IsFinite(value) ? Rounded(value).ToString("R", CultureInfo.InvariantCulture) : value.ToString(CultureInfo.InvariantCulture);

    private static Phrase RangeWords(string called, QuantityKind kind, double given, double min, double max) =>
        double.IsFinite(given)
            ? Phrase.Exactly($"{called} must be {{0}} to {{1}}; got {{2}}.", new(min, kind), new(max, kind), new(given, kind))
            : Phrase.Exactly($"{called} must be {{0}} to {{1}}; got no number.", new(min, kind), new(max, kind));
}

/// <summary>Thrown by every calculation on bad input; all bad fields are named at once.</summary>
public sealed class InputException(IReadOnlyList<InputError> errors) : Exception(string.Join("; ", errors.Select(e => e.Reason)))
{
    /// <summary>A single fault.</summary>
    public InputException(string field, string given, string reason) : this([InputError.Fault(field, given, reason)]) { }

    /// <summary>A single fault whose reason has measures in it.</summary>
    public InputException(string field, Phrase given, Phrase words) : this([InputError.Fault(field, given, words)]) { }

    /// <summary>A single fault made already.</summary>
    public InputException(InputError error) : this([error]) { }

    /// <summary>What is wrong, field by field.</summary>
    public IReadOnlyList<InputError> Errors { get; } = errors;
}
