using System.Text;
using Vanto.Core.Crew;
using Vanto.Core.Quantities;

namespace Vanto.Web.Crew;

/// <summary>Who may do what at which address, as the routes state it, for the docs.</summary>
public static class RightsPage
{
    private const string Begin = "<!-- rights: made by ./vanto schema -->\n", End = "<!-- end of rights -->";
    private const string Calculators = "/api/calc/";

    /// <summary>The table.</summary>
    public static string Text(IEnumerable<RouteEndpoint> routes)
    {
        var rows = routes.SelectMany(r => RouteRights.Methods(r).Select(m => (Path: Shown(r), Method: m, Needs: r.Metadata.GetMetadata<RouteRight>()!)))
            .Distinct().OrderBy(r => r.Path, StringComparer.Ordinal).ThenBy(r => r.Method, StringComparer.Ordinal);
        var text = new StringBuilder(
            "| address | | right | owner | fitter | helper | viewer | reaches, for a device of one rig |\n|---|---|---|---|---|---|---|---|\n");
        foreach (var (path, method, needs) in rows)
        {
            text.Append($"| {path} | {method} | {Calls.Name(needs.Right)} |");
            foreach (var role in Enum.GetValues<CrewRole>())
                text.Append(CrewRights.May(role, needs.Right) ? " yes |" : " – |");
            text.Append(needs.Reach switch { Reach.Rig => " that rig", Reach.Common => " yes", _ => " nothing" }).Append(" |\n");
        }
        return text.ToString();
    }

    /// <summary>The calculations ask the same, all of them.</summary>
    private static string Shown(RouteEndpoint route)
    {
        var path = $"/{route.RoutePattern.RawText!.Trim('/')}".Replace(":guid", "", StringComparison.Ordinal).Replace(":int", "", StringComparison.Ordinal);
        return path.StartsWith(Calculators, StringComparison.Ordinal) ? $"{Calculators}…" : path;
    }

    /// <summary>Writes the table between its marks in a page.</summary>
    public static async Task<int> Write(string page)
    {
        var folder = Directory.CreateTempSubdirectory("vanto-rights-");
        await using (var app = Server.Build(new WebApplicationOptions(), Path.Combine(folder.FullName, "none.db"), 0))
        {
            await app.StartAsync();
            var (text, table) = (await File.ReadAllTextAsync(page), Text(app.Services.GetRequiredService<EndpointDataSource>().OfApi()));
            var (begin, end) = (text.IndexOf(Begin, StringComparison.Ordinal) + Begin.Length, text.IndexOf(End, StringComparison.Ordinal));
            await File.WriteAllTextAsync(page, text[..begin] + table + text[end..]);
            await app.StopAsync();
        }
        folder.Delete(recursive: true);
        return 0;
    }
}
