using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using Vanto.Core.Quantities;

namespace Vanto.Core.Handover;

/// <summary>Whence a paper comes, as far as its signature tells.</summary>
public enum PaperOrigin
{
    [Called("not signed: issued before papers were")] Unsigned, [Called("issued here")] Here, [Called("issued on another laptop")] Elsewhere,
    [Called("altered: its signature does not stand")] Altered, [Called("its number stands twice")] Twice,
}

/// <summary>
/// What an issued paper says, signed by the laptop that issued it (ECDSA over P-256 with SHA-256, FIPS 186-5; from the framework). Two statements: what
/// the paper is about, whose signature is printed on it as a short code, and the file that was drawn with that code.
/// </summary>
public static partial class PaperSeal
{
    private const int LetterBits = 25, Letters = 5, CodeBits = 50, CodeLetters = 10;

    /// <summary>Five letters that a laptop's numbers carry: bound to the laptop and to its key, so that nobody takes another's by naming it.</summary>
    /// <param name="laptop">Number of the laptop, as its records are stamped.</param>
    /// <param name="publicKey">Its public key, base 64 of a SubjectPublicKeyInfo.</param>
    public static string LettersOf(string laptop, string publicKey) =>
        JobCode.Spelled(Bits(Encoding.UTF8.GetBytes($"{laptop}\n{publicKey}"), LetterBits), Letters);

    /// <summary>A signature as it is printed.</summary>
    /// <param name="signature">Base 64.</param>
    public static string CodeOf(string signature)
    {
        var spelled = JobCode.Spelled(Bits(Encoding.UTF8.GetBytes(signature), CodeBits), CodeLetters);
        return $"{spelled[..Letters]}-{spelled[Letters..]}";
    }

    private static UInt128 Bits(byte[] content, int bits) => SHA256.HashData(content).Take(8).Aggregate((UInt128)0, (sum, b) => sum << 8 | b) >> (64 - bits);

    /// <summary>What is signed of a paper: all that it says, without its file, which carries the signature's code.</summary>
    public static byte[] Statement(Guid rig, PaperRecord p) => Signed("vanto-paper 1", $"{rig}", $"{p.Id}", p.At.UtcDateTime.ToString("O",
        CultureInfo.InvariantCulture), p.By, $"{p.Readings.Kind}", p.Readings.Number, p.Readings.Revision.ToString("R", CultureInfo.InvariantCulture),
        p.Readings.Supersedes, p.Readings.Licence, p.Readings.Instruments, p.Readings.KeySha256, p.Readings.PageSha256, p.Readings.Laptop);

    /// <summary>What is signed of a paper's file.</summary>
    public static byte[] FileStatement(PaperValues v) => Signed("vanto-paper-file 1", v.Signature, v.Sha256);

    /// <summary>A list of texts, so that none can run over into the next.</summary>
    private static byte[] Signed(params string[] texts) => JsonSerializer.SerializeToUtf8Bytes(texts);

    [GeneratedRegex("^[0-9A-Z]{1,12}-([A-Z]+)-([0-9A-Z]{5})-[0-9]{2,6}$")]
    private static partial Regex Numbered();

    /// <summary>Whence a paper comes by itself, whatever others stand beside it.</summary>
    /// <param name="rig">It belongs to.</param>
    /// <param name="p">The paper.</param>
    /// <param name="ownKey">Public key of this laptop.</param>
    public static PaperOrigin Judge(Guid rig, PaperRecord p, string ownKey)
    {
        var v = p.Readings;
        if (v is { Signature: "", FileSignature: "", PublicKey: "" })
            return PaperOrigin.Unsigned;
        if (Numbered().Match(v.Number) is not { Success: true, Groups: var parts } || parts[1].Value != Papers.Short(v.Kind)
            || parts[2].Value != LettersOf(v.Laptop, v.PublicKey) || !Stands(v.PublicKey, Statement(rig, p), v.Signature)
            || !Stands(v.PublicKey, FileStatement(v), v.FileSignature))
            return PaperOrigin.Altered;
        return v.PublicKey == ownKey ? PaperOrigin.Here : PaperOrigin.Elsewhere;
    }

    private static bool Stands(string publicKey, byte[] statement, string signature)
    {
        try
        {
            using var key = ECDsa.Create();
            key.ImportSubjectPublicKeyInfo(Convert.FromBase64String(publicKey), out _);
            return key.VerifyData(statement, Convert.FromBase64String(signature), HashAlgorithmName.SHA256);
        }
        catch (Exception e) when (e is FormatException or CryptographicException)
        {
            return false;
        }
    }

    /// <summary>
    /// Papers of a rig with whence they come: a number stands once, for the one that was issued here, else for the first whose signature stands.
    /// </summary>
    /// <param name="papers">In the order of the log, each judged by itself.</param>
    public static IReadOnlyList<PaperRecord> Once(IReadOnlyList<PaperRecord> papers)
    {
        var first = papers.OrderBy(p => p.Origin switch { PaperOrigin.Here => 0, PaperOrigin.Elsewhere => 1, PaperOrigin.Unsigned => 2, _ => 3 })
            .GroupBy(p => p.Readings.Number).ToDictionary(g => g.Key, g => g.First().Id);
        return [.. papers.Select(p => p.Origin == PaperOrigin.Altered || first[p.Readings.Number] == p.Id ? p : p with { Origin = PaperOrigin.Twice })];
    }
}
