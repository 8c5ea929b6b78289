using Xunit.Abstractions;

namespace Vanto.Browser.Tests;

/// <summary>Begins with the classes that take longest, so that none of them runs on alone at the end.</summary>
public sealed class LongestFirst : ITestCollectionOrderer
{
    private static readonly string[] Long = ["LaptopLeafTests", "PhoneLeafTests", "InstallTests", "SurveyTests", "RigFrameTests", "ProofTests", "KeepTests"];

    /// <inheritdoc />
    public IEnumerable<ITestCollection> OrderTestCollections(IEnumerable<ITestCollection> testCollections) =>
        testCollections.OrderBy(c => Array.FindIndex(Long, l => c.DisplayName.EndsWith(l, StringComparison.Ordinal)) is var i && i < 0 ? Long.Length : i)
            .ThenBy(c => c.DisplayName, StringComparer.Ordinal);
}
