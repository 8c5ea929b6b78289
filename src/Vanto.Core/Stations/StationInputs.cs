using System.Collections.Immutable;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Stations;

/// <summary>What a station can read: the parts of the design, the log, and what the stations before it found.</summary>
public sealed class StationInputs
{
    private readonly IReadOnlyDictionary<Type, DesignPart> _designs;
    private readonly IReadOnlyList<StationRecord> _records;
    private readonly ImmutableList<(Station Station, IStationResult Result)> _before;

    /// <summary>A job of which no station has found anything yet.</summary>
    public StationInputs(IReadOnlyDictionary<Type, DesignPart> designs, IReadOnlyList<StationRecord> records)
        : this(designs, records, [])
    {
    }

    private StationInputs(
        IReadOnlyDictionary<Type, DesignPart> designs, IReadOnlyList<StationRecord> records, ImmutableList<(Station, IStationResult)> before) =>
        (_designs, _records, _before) = (designs, records, before);

    public T Design<T>() where T : DesignPart => (T)_designs[typeof(T)];

    /// <summary>An earlier station's result, which is among those this station says it reads.</summary>
    public T Result<T>() where T : class, IStationResult =>
        Find<T>() ?? throw new InvalidOperationException($"{typeof(T).Name} is not among what is known here");

    /// <summary>Another station's result, or null where it has none.</summary>
    public T? Find<T>() where T : class, IStationResult => _before.Select(b => b.Result).OfType<T>().FirstOrDefault();

    /// <summary>Records of one kind, in the order written.</summary>
    public IReadOnlyList<T> Records<T>() where T : StationRecord => [.. _records.OfType<T>()];

    /// <summary>Records of a kind by its type, in the order written.</summary>
    public IEnumerable<StationRecord> RecordsOf(Type kind) => _records.Where(kind.IsInstanceOfType);

    /// <summary>What the stations before found, in their order.</summary>
    public IEnumerable<Finding> Findings => _before.SelectMany(b => b.Result.Findings);

    /// <summary>What the stations before print for the owner, in their order.</summary>
    public IEnumerable<SheetBlock> Sheet => _before.SelectMany(b => b.Station.Sheet(this));

    /// <summary>The same with what one more station found.</summary>
    public StationInputs With(Station station, IStationResult result) => new(_designs, _records, _before.Add((station, result)));

    internal bool Has(Type result) => _before.Any(b => b.Station.Result == result);
}
