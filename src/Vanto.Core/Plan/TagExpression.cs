namespace Vanto.Core.Plan;

/// <summary>Facts and schools of a job as tags: kinds of the job, <c>split</c>, and <c>group=value</c>.</summary>
/// <param name="Known">Every tag that there is; another one in an expression is an error, not false.</param>
public sealed record TagSpace(IReadOnlySet<string> Known);

/// <summary>A condition over tags: <c>or</c> binds least, then <c>and</c>, then <c>not</c>; brackets group.</summary>
public sealed class TagExpression
{
    private readonly Func<IReadOnlySet<string>, bool> _holds;

    private TagExpression(string text, Func<IReadOnlySet<string>, bool> holds) => (Text, _holds) = (text, holds);

    /// <summary>Holds always.</summary>
    public static TagExpression Always { get; } = new("", _ => true);

    /// <summary>As written.</summary>
    public string Text { get; }

    /// <summary>True where the tags satisfy it.</summary>
    public bool Holds(IReadOnlySet<string> tags) => _holds(tags);

    /// <summary>Reads one; empty holds always.</summary>
    /// <exception cref="FormatException">It is not of this grammar, or names a tag that there is not.</exception>
    public static TagExpression Parse(string? text, TagSpace space)
    {
        if (string.IsNullOrWhiteSpace(text))
            return Always;
        var words = text.Replace("(", " ( ", StringComparison.Ordinal).Replace(")", " ) ", StringComparison.Ordinal)
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var at = 0;
        var holds = Either();
        return at == words.Length ? new TagExpression(text, holds) : throw new FormatException($"\"{text}\": {words[at]} stands where nothing can.");

        bool Take(string word)
        {
            if (at >= words.Length || words[at] != word)
                return false;
            at++;
            return true;
        }

        Func<IReadOnlySet<string>, bool> Either()
        {
            var left = Both();
            while (Take("or"))
            {
                var (a, b) = (left, Both());
                left = tags => a(tags) || b(tags);
            }
            return left;
        }

        Func<IReadOnlySet<string>, bool> Both()
        {
            var left = One();
            while (Take("and"))
            {
                var (a, b) = (left, One());
                left = tags => a(tags) && b(tags);
            }
            return left;
        }

        Func<IReadOnlySet<string>, bool> One()
        {
            if (Take("not"))
            {
                var inner = One();
                return tags => !inner(tags);
            }
            if (Take("("))
            {
                var inner = Either();
                return Take(")") ? inner : throw new FormatException($"\"{text}\": a bracket is not closed.");
            }
            if (at >= words.Length)
                throw new FormatException($"\"{text}\" ends too early.");
            var tag = words[at++];
            return space.Known.Contains(tag) ? tags => tags.Contains(tag) : throw new FormatException($"\"{text}\": there is no tag {tag}.");
        }
    }
}
