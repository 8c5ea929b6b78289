using System.Collections;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using Vanto.Core.Quantities;

namespace Vanto.Core.Findings;

/// <summary>One change of the design as it goes over the wire: the value at a path (such as <c>/energy/setpointNightC</c>) becomes another.</summary>
public sealed record DesignChange(string Path, JsonNode? Value);

/// <summary>
/// A change of a design: a function of each part that it touches. What goes over the wire is found by comparing the parts before and after, so
/// that a way out is written once and brings what it was tried with.
/// </summary>
public sealed class DesignEdit
{
    private readonly IReadOnlyList<PartEdit> _parts;
    private readonly Lazy<IReadOnlyList<DesignChange>> _changes;

    private sealed record PartEdit(Type Type, string Root, DesignPart Before, Func<DesignPart, DesignPart> Change);

    private DesignEdit(IReadOnlyList<PartEdit> parts)
    {
        _parts = parts;
        _changes = new Lazy<IReadOnlyList<DesignChange>>(() => [.. _parts.SelectMany(p => DesignDiff.Between(p.Root, p.Before, p.Change(p.Before)))]);
    }

    /// <summary>Changes nothing: advice only.</summary>
    public static readonly DesignEdit None = new([]);

    /// <summary>A change of one part.</summary>
    /// <param name="part">As it stands.</param>
    /// <param name="change">What it becomes.</param>
    public static DesignEdit Of<T>(T part, Func<T, T> change) where T : DesignPart => None.And(part, change);

    /// <summary>A change of a whole design.</summary>
    /// <param name="design">As it stands.</param>
    /// <param name="change">What it becomes.</param>
    public static DesignEdit OfWhole<T>(T design, Func<T, T> change) where T : DesignPart => new([new PartEdit(typeof(T), "", design, p => change((T)p))]);

    /// <summary>This and a change of another part, or a further one of the same.</summary>
    public DesignEdit And<T>(T part, Func<T, T> change) where T : DesignPart =>
        With(new PartEdit(typeof(T), DesignDiff.RootOf(typeof(T)), part, p => change((T)p)));

    /// <summary>This and another edit after it.</summary>
    public DesignEdit And(DesignEdit then) => then._parts.Aggregate(this, (edit, part) => edit.With(part));

    /// <summary>A part as it becomes; itself where the edit does not touch it.</summary>
    public T Apply<T>(T part) where T : DesignPart => _parts.FirstOrDefault(p => p.Type == typeof(T)) is { } edit ? (T)edit.Change(part) : part;

    /// <summary>What changes, path by path; empty where nothing does.</summary>
    public IReadOnlyList<DesignChange> Changes => _changes.Value;

    private DesignEdit With(PartEdit next) => _parts.FirstOrDefault(p => p.Type == next.Type) is { } first
        ? new DesignEdit([.. _parts.Where(p => p != first), first with { Change = p => next.Change(first.Change(p)) }])
        : new DesignEdit([.. _parts, next]);
}

/// <summary>Compares parts of designs as JSON.</summary>
public static class DesignDiff
{
    /// <summary>Path of the part that a type of design is: <c>SurveyDesign</c> stands at <c>/survey</c>.</summary>
    public static string RootOf(Type part) => "/" + JsonNamingPolicy.CamelCase.ConvertName(part.Name[..^"Design".Length]);

    /// <summary>What must change for one part to become another: single values where lists have as many rows, else the whole list.</summary>
    /// <param name="root">Path of the part.</param>
    /// <param name="before">As it is.</param>
    /// <param name="after">As it shall be.</param>
    public static IReadOnlyList<DesignChange> Between(string root, DesignPart before, DesignPart after)
    {
        var changes = new List<DesignChange>();
        Compare(root, before.GetType(), before, after, changes);
        return changes;
    }

    /// <summary>Parts never change once made: one is written once and compared many times.</summary>
    private static readonly ConditionalWeakTable<DesignPart, byte[]> Written = [];

    private static byte[] Text(DesignPart part) => Written.GetValue(part, p => JsonSerializer.SerializeToUtf8Bytes(p, p.GetType(), DesignJson.Options));

    /// <summary>True where two parts hold the same.</summary>
    public static bool Same(DesignPart a, DesignPart b) => ReferenceEquals(a, b) || Text(a).AsSpan().SequenceEqual(Text(b));

    /// <summary>What an edit left alone is the same object still, so only what it touched is walked.</summary>
    private static void Compare(string path, Type type, object? before, object? after, List<DesignChange> changes)
    {
        if (ReferenceEquals(before, after))
            return;
        var shape = DesignJson.Options.GetTypeInfo(type);
        switch (before, after)
        {
            case (not null, not null) when shape.Kind == JsonTypeInfoKind.Object:
                foreach (var field in shape.Properties.Where(p => p is { Get: not null, Set: not null, IsExtensionData: false }))
                    Compare($"{path}/{field.Name}", field.PropertyType, field.Get!(before), field.Get(after), changes);
                break;
            case (IList a, IList b) when a.Count == b.Count:
                for (var i = 0; i < a.Count; i++)
                    Compare($"{path}/{i}", (b[i] ?? a[i])?.GetType() ?? typeof(object), a[i], b[i], changes);
                break;
            default:
                if (!Equals(before, after))
                    changes.Add(new DesignChange(path, JsonSerializer.SerializeToNode(after, type, DesignJson.Options)));
                break;
        }
    }
}
