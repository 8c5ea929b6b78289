using Vanto.Core.Job;

namespace Vanto.Web;

/// <summary>Keeps the schema in the docs the one of the code.</summary>
public static class SchemaPage
{
    /// <summary>Writes the schema between the fences of the page.</summary>
    public static int Write(string page)
    {
        var text = File.ReadAllText(page);
        const string fence = "```json\n";
        var start = text.IndexOf(fence, StringComparison.Ordinal) + fence.Length;
        var end = text.IndexOf("\n```", start, StringComparison.Ordinal);
        File.WriteAllText(page, text[..start] + JobFileSchema.Text() + text[end..]);
        return 0;
    }
}
