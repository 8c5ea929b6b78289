using System.Net;
using System.Text;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Job;
using Vanto.Core.Service;
using Vanto.Core.Stations;

namespace Vanto.Web.Handover;

/// <summary>
/// The guide as the rig's label shows it: no scripts, nothing loaded, and nothing of whom it belongs to, where it stands, or who worked on it.
/// </summary>
public static class PublicGuide
{
    /// <summary>The guide with the care that Service keeps.</summary>
    public static HandoverAssessment Whole(HandoverAssessment sheet, ServiceAssessment? service) =>
        service is null ? sheet : sheet with { Blocks = SheetBlock.Together([.. sheet.Blocks, service.Printed]) };

    /// <summary>What the page says, to be frozen when the guide is issued.</summary>
    /// <param name="design">The rig.</param>
    /// <param name="sheet">What was put together.</param>
    /// <param name="day">Of the issue.</param>
    /// <param name="number">Of the guide.</param>
    public static GuidePage Frozen(JobDesign design, HandoverAssessment sheet, DateOnly day, string number)
    {
        string Text(Phrase words) => words.InUnits(design.Units);
        var sections = sheet.Blocks.Where(b => b.Place is SheetPlace.Running or SheetPlace.Fitted or SheetPlace.Cautions)
            .OrderByDescending(b => b.Place == SheetPlace.Running)
            .Select(b => new GuideSection(b.Heading, [.. b.Lines.Select(l => new GuideLine(Text(l.Label), Text(l.Value), Text(l.Beside)))])).ToList();
        if (sheet.Papers.Where(p => p is { Standing: true, Kind: not PaperKind.Guide }).ToList() is { Count: > 0 } papers)
            sections.Add(new GuideSection("Papers issued",
            [
                .. papers.Select(p => new GuideLine(p.Name, $"{p.Number}, {p.At:yyyy-MM-dd}{(p.Stale ? ", older than what was read since" : "")}", "")),
                .. sheet.Blocks.Where(b => b.Place == SheetPlace.Proof).SelectMany(b => b.Lines).Where(l => l.Mark.Length > 0)
                    .Select(l => new GuideLine(Text(l.Label), l.Mark, "")),
            ]));
        return new GuidePage(number, $"{day:yyyy-MM-dd}", sheet.Draft, design.Handover.Contact, design.Handover.Firm, sections, design.Handover.OwnerReports);
    }

    /// <summary>The page as it is shown: drawn by Vanto from what was frozen, whatever a file brought.</summary>
    /// <param name="page">What was frozen.</param>
    /// <param name="beside">What is to be said about it; empty for nothing.</param>
    public static string Html(GuidePage page, string beside)
    {
        var html = new StringBuilder();
        html.Append(Begin).Append("<title>Guide</title><style>").Append(Style).Append("</style></head><body>");
        html.Append("<h1>Guide to the air conditioner</h1><p class=\"soft\">").Append(Text(page.Number)).Append(" · ").Append(Text(page.Day))
            .Append(page.Draft ? " · <b>DRAFT</b>" : "").Append("</p>");
        if (beside.Length > 0)
            html.Append("<p><b>").Append(Text(beside)).Append("</b></p>");
        if (page.Contact.Length > 0)
            html.Append("<p class=\"call\">Call: ").Append(Text(page.Contact)).Append(page.Firm.Length > 0 ? $" ({Text(page.Firm)})" : "").Append("</p>");
        foreach (var section in page.Sections)
        {
            html.Append("<h2>").Append(Text(section.Heading)).Append("</h2>");
            foreach (var line in section.Lines)
                html.Append("<p>").Append(Part("b", line.Label)).Append(Part("span", line.Value)).Append(Part("small", line.Beside)).Append("</p>");
        }
        if (page.OwnerReports)
            html.Append("<h2>Tell the shop</h2><form method=\"post\"><button>I washed the filter today</button></form>")
                .Append("<p class=\"soft\">It counts for the dates above and is kept as told, not as seen.</p>");
        return html.Append("<p class=\"soft\">Local codes and the unit's manual come first.</p></body></html>").ToString();
    }

    /// <summary>What the owner reads after telling something.</summary>
    public static readonly string Thanks =
        $"{Begin}<title>Thank you</title><style>{Style}</style></head><body><h1>Thank you</h1><p>Written down for today.</p></body></html>";

    private const string Begin = "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">"
        + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\"><meta name=\"robots\" content=\"noindex\">";

    private const string Style = "body{font:17px/1.45 system-ui,sans-serif;margin:0 auto;max-width:40rem;padding:12px 16px;color:#1d2b2a;background:#faf7f0}"
        + "h1{font-size:24px}h2{font-size:18px;border-top:2px solid;padding-top:8px}p{margin:4px 0}b{margin-right:8px}small{display:block;color:#5d6a66}"
        + ".soft{color:#5d6a66}.call{font-size:20px}"
        + "button{font:inherit;min-height:48px;padding:6px 16px;border:2px solid;border-radius:3px;background:#fff}";

    private static string Part(string tag, string text) => text.Length > 0 ? $"<{tag}>{Text(text)}</{tag}> " : "";

    private static string Text(string text) => WebUtility.HtmlEncode(text);
}
