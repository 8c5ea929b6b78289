using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Vanto.Core.Commission;
using Vanto.Core.Energy;
using Vanto.Core.Handover;
using Vanto.Core.Install;
using Vanto.Core.Layout;
using Vanto.Core.Load;
using Vanto.Core.Mount;
using Vanto.Core.Plan;
using Vanto.Core.Service;
using Vanto.Core.Start;
using Vanto.Core.Stations;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Core.Wiring;

namespace Vanto.Core.Job;

/// <summary>The stations there are, in the order of the work. A new one is a line here.</summary>
public sealed class StationRegistry(IReadOnlyList<Station> all)
{
    /// <summary>Those of Vanto.</summary>
    public static StationRegistry Standard { get; } = new(
    [
        new SurveyStation(),
        new LoadStation(),
        new UnitStation(),
        new StartStation(),
        new EnergyStation(),
        new LayoutStation(),
        new MountStation(),
        new WiringStation(),
        new PlanStation(),
        new InstallStation(),
        new CommissionStation(),
        new HandoverStation(),
        new ServiceStation(),
    ]);

    /// <summary>All, in order.</summary>
    public IReadOnlyList<Station> All { get; } = all;

    /// <summary>Their names, in order.</summary>
    public IReadOnlyList<string> Names { get; } = [.. all.Select(s => s.Name)];

    /// <summary>Kinds of records that they keep.</summary>
    public IReadOnlyList<RecordKind> RecordKinds { get; } = [.. all.SelectMany(s => s.Keeps)];

    /// <summary>The kind of record of that name, or null.</summary>
    public RecordKind? KindNamed(string name) => RecordKinds.FirstOrDefault(k => k.Name == name);

    public RecordKind KindOf(StationRecord record) => RecordKinds.First(k => k.Record.IsInstanceOfType(record));

    /// <summary>Stations whose results a station reads, in their order.</summary>
    public IEnumerable<Station> Before(Station station) =>
        All.TakeWhile(s => s != station).Where(s => station.ReadsAllBefore || station.Reads.Contains(s.Result));

    /// <summary>How assessments are written.</summary>
    public JsonSerializerOptions Json =>
        _json ??= new JsonSerializerOptions(JobFile.Json) { TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { Describe } } };

    private JsonSerializerOptions? _json;

    /// <summary>Has an assessment written with each station's result under its name, null where it has none, and a record with the name of its kind.</summary>
    public void Describe(JsonTypeInfo type)
    {
        if (type.Type == typeof(StationRecord))
            DescribeRecords(type);
        if (type.Type != typeof(JobAssessment))
            return;
        foreach (var hidden in type.Properties.Where(p => p.Get is null).ToList())
            type.Properties.Remove(hidden);
        for (var i = 0; i < All.Count; i++)
        {
            var station = All[i];
            var property = type.CreateJsonPropertyInfo(station.Result, station.Name);
            property.Get = assessment => ((JobAssessment)assessment).Results.GetValueOrDefault(station.Name);
            property.Order = i - All.Count;
            type.Properties.Add(property);
        }
    }

    private void DescribeRecords(JsonTypeInfo type)
    {
        type.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = "kind" };
        foreach (var kind in RecordKinds)
            type.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(kind.Record, kind.Name));
    }
}
