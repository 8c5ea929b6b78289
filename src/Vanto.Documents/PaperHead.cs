namespace Vanto.Documents;

/// <summary>What a paper with a number has beside its content.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Supersedes">The paper whose place it takes; empty for the first.</param>
/// <param name="By">Who issued it.</param>
/// <param name="Licence">Of that person; empty where none was written.</param>
/// <param name="Instruments">With their calibration on that day.</param>
/// <param name="Code">Of the laptop's signature.</param>
public sealed record PaperHead(string Number, string Supersedes, string By, string Licence, IReadOnlyList<string> Instruments, string Code)
{
    internal void Draw(SheetPages pages, float size)
    {
        pages.Wrapped($"No. {Number}{(Supersedes.Length > 0 ? $", in place of {Supersedes}" : "")}", size, SheetPages.Left, SheetPages.Across, bold: true);
    }

    internal void Sign(SheetPages pages, float size) => pages.Table("Issued", size, [170, 330], ["", ""],
    [
        ["By", By], ["Licence", Licence.Length > 0 ? Licence : "none written"],
        .. Instruments.DefaultIfEmpty("none written").Select((i, n) => new[] { n == 0 ? "Instruments" : "", i }),
        ["Sealed by the laptop", $"{Code} (its signature in short; ./vanto verify holds the file against it)"],
        ["Signature", "________________________________"],
    ]);
}
