using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Stations;

/// <summary>What a station can read: the parts of the design, the log, and what the stations before it found.</summary>
public sealed class StationInputs(IReadOnlyDictionary<Type, DesignPart> designs, IReadOnlyList<IStationRecord> records)
{
    private readonly Dictionary<Type, IStationResult> _results = [];
    private readonly List<Finding> _findings = [];

    /// <summary>A part of the design.</summary>
    public T Design<T>() where T : DesignPart => (T)designs[typeof(T)];

    /// <summary>An earlier station's result, which is among those this station says it reads.</summary>
    public T Result<T>() where T : class, IStationResult => (T)_results[typeof(T)];

    /// <summary>Another station's result, or null where it has none.</summary>
    public T? Find<T>() where T : class, IStationResult => (T?)_results.GetValueOrDefault(typeof(T));

    /// <summary>Records of one kind, in the order written.</summary>
    public IReadOnlyList<T> Records<T>() where T : IStationRecord => [.. records.OfType<T>()];

    /// <summary>What the stations before found, in their order.</summary>
    public IReadOnlyList<Finding> Findings => _findings;

    internal bool Has(Type result) => _results.ContainsKey(result);

    internal void Add(Type type, IStationResult result)
    {
        _results[type] = result;
        _findings.AddRange(result.Findings);
    }
}
