using System.Globalization;

namespace Vanto.Core.Findings;

/// <summary>A value that cannot be used: which field, what was given, what is allowed and why.</summary>
public sealed record InputError(string Field, string Given, double? Min, double? Max, string Unit, string Reason)
{
    /// <summary>A number outside its range.</summary>
    public static InputError Range(string field, double given, double min, double max, string unit) => new(
        field, given.ToString("R", CultureInfo.InvariantCulture), min, max, unit,
        string.Create(CultureInfo.InvariantCulture, $"{field} must be {min} to {max} {unit}; got {given}").TrimEnd());

    /// <summary>Any other fault.</summary>
    public static InputError Fault(string field, string given, string reason) => new(field, given, null, null, "", reason);
}

/// <summary>Thrown by every calculation on bad input; all bad fields are named at once.</summary>
public sealed class InputException(IReadOnlyList<InputError> errors) : Exception(string.Join("; ", errors.Select(e => e.Reason)))
{
    /// <summary>A single fault.</summary>
    public InputException(string field, string given, string reason) : this([InputError.Fault(field, given, reason)]) { }

    /// <summary>What is wrong, field by field.</summary>
    public IReadOnlyList<InputError> Errors { get; } = errors;
}
