using System.Collections.Concurrent;
using System.Security.Cryptography;
using Vanto.Core.Handover;
using Vanto.Core.Stations;
using Vanto.Storage;

namespace Vanto.Web.Handover;

/// <summary>
/// The key that this laptop signs papers with. It lies beside the store and not in it: a copy of the store on another laptop issues papers of its own.
/// </summary>
public sealed class LaptopSeal : IDisposable
{
    private const int MostJudged = 5000;

    private readonly ECDsa _key;
    private readonly ConcurrentDictionary<(Guid Rig, PaperRecord Paper), PaperOrigin> _judged = new();

    private LaptopSeal(ECDsa key)
    {
        _key = key;
        PublicKey = Convert.ToBase64String(key.ExportSubjectPublicKeyInfo());
    }

    /// <summary>Base 64 of its SubjectPublicKeyInfo.</summary>
    public string PublicKey { get; }

    /// <summary>Where the key lies.</summary>
    public static string FileOf(string store) => Path.GetFullPath(store) + ".key";

    /// <summary>The one of a store; a store that has none yet gets one, and a damaged one is laid aside.</summary>
    public static LaptopSeal Of(string store)
    {
        var file = FileOf(store);
        if (Known(file) is { } known)
            return new LaptopSeal(known);
        if (File.Exists(file))
            File.Move(file, file + ".damaged", overwrite: true);
        var made = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        ClosedFile.Write(file + ".new", System.Text.Encoding.ASCII.GetBytes(made.ExportPkcs8PrivateKeyPem()));
        File.Move(file + ".new", file);
        return new LaptopSeal(made);
    }

    /// <summary>The public key of a store that has one, for who only looks.</summary>
    public static string? PublicKeyOf(string store)
    {
        using var key = Known(FileOf(store));
        return key is null ? null : Convert.ToBase64String(key.ExportSubjectPublicKeyInfo());
    }

    private static ECDsa? Known(string file)
    {
        if (!File.Exists(file))
            return null;
        var key = ECDsa.Create();
        try
        {
            key.ImportFromPem(File.ReadAllText(file));
            return key;
        }
        catch (Exception e) when (e is ArgumentException or CryptographicException)
        {
            key.Dispose();
            return null;
        }
    }

    /// <summary>Signs a statement; base 64.</summary>
    public string Sign(byte[] statement)
    {
        lock (_key)
            return Convert.ToBase64String(_key.SignData(statement, HashAlgorithmName.SHA256));
    }

    /// <summary>Records of a rig, the papers among them with whence they come. Each paper is judged once.</summary>
    public IReadOnlyList<StationRecord> Judged(Guid rig, IReadOnlyList<StationRecord> records)
    {
        if (!records.Any(r => r is PaperRecord))
            return records;
        if (_judged.Count > MostJudged)
            _judged.Clear();
        var papers = PaperSeal.Once([.. records.OfType<PaperRecord>().Select(p => p with { Origin = default }).Select(p =>
            p with { Origin = _judged.GetOrAdd((rig, p), known => PaperSeal.Judge(known.Rig, known.Paper, PublicKey)) })]).ToDictionary(p => p.Id);
        return [.. records.Select(r => r is PaperRecord ? papers[r.Id] : r)];
    }

    public void Dispose() => _key.Dispose();
}
