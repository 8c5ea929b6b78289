using Vanto.Core.Findings;

namespace Vanto.Documents;

/// <summary>
/// A table's text that refuses a line no table has: a reader of tables holds a whole line in memory, cell by cell, before anybody could count them.
/// </summary>
/// <param name="inner">The text.</param>
/// <param name="field">What is refused, as the reader is told.</param>
/// <param name="most">Letters of the longest line.</param>
public sealed class ShortLines(TextReader inner, string field, int most = ShortLines.Most) : TextReader
{
    /// <summary>Longest line of a table: 200 columns of 100 letters; the product's own choice.</summary>
    public const int Most = 20_000;

    private int _line;

    /// <inheritdoc />
    public override int Peek() => inner.Peek();

    /// <inheritdoc />
    public override int Read()
    {
        var one = inner.Read();
        if (one >= 0)
            Count((char)one);
        return one;
    }

    /// <inheritdoc />
    public override int Read(char[] buffer, int index, int count)
    {
        var read = inner.Read(buffer, index, count);
        foreach (var c in buffer.AsSpan(index, read))
            Count(c);
        return read;
    }

    private void Count(char c)
    {
        _line = c is '\n' or '\r' ? 0 : _line + 1;
        if (_line > most)
            throw new InputException(field, $"more than {most} letters in a line", $"{field}: a line has at most {most} letters; this is no table");
    }

    /// <inheritdoc />
    protected override void Dispose(bool disposing)
    {
        if (disposing)
            inner.Dispose();
        base.Dispose(disposing);
    }
}
