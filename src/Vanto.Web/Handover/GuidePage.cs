using System.Text.Json;
using Vanto.Core.Job;

namespace Vanto.Web.Handover;

/// <summary>A line of the guide, in the units it was issued in.</summary>
public sealed record GuideLine(string Label, string Value, string Beside);

/// <summary>Lines under a heading.</summary>
public sealed record GuideSection(string Heading, IReadOnlyList<GuideLine> Lines);

/// <summary>What the page behind a label says, frozen when its guide is issued. It is text only: what a file brings is never shown as a page of its
/// own.</summary>
public sealed record GuidePage(string Number, string Day, bool Draft, string Contact, string Firm, IReadOnlyList<GuideSection> Sections, bool OwnerReports)
{
    private const int Longest = 1 << 20;

    /// <summary>As it is kept.</summary>
    internal byte[] Written => JsonSerializer.SerializeToUtf8Bytes(this, JobFile.Json);

    /// <summary>Of what was kept; nothing where it is no such page.</summary>
    public static GuidePage? Read(byte[] kept)
    {
        if (kept.Length > Longest)
            return null;
        try
        {
            return JsonSerializer.Deserialize<GuidePage>(kept, JobFile.Json) is
            { Number: not null, Day: not null, Contact: not null, Firm: not null, Sections: not null } page
                && page.Sections.All(s => s is { Heading: not null, Lines: not null }
                    && s.Lines.All(l => l is { Label: not null, Value: not null, Beside: not null })) ? page : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
