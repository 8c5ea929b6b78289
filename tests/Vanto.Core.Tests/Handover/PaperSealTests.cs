using System.Security.Cryptography;
using Vanto.Core.Handover;

namespace Vanto.Core.Tests.Handover;

/// <summary>Papers and their signatures. ECDSA over P-256 is the framework's (FIPS 186-5, published); what is signed is the product's own choice.</summary>
public class PaperSealTests
{
    private static readonly Guid Rig = new("0f0f0f0f-0000-4000-8000-000000000001");
    private static readonly DateTimeOffset Noon = new(2027, 3, 2, 12, 0, 0, TimeSpan.Zero);

    private sealed class Laptop(string device) : IDisposable
    {
        private readonly ECDsa _key = ECDsa.Create(ECCurve.NamedCurves.nistP256);

        public string Key => Convert.ToBase64String(_key.ExportSubjectPublicKeyInfo());

        public string Letters => PaperSeal.LettersOf(device, Key);

        private string Sign(byte[] statement) => Convert.ToBase64String(_key.SignData(statement, HashAlgorithmName.SHA256));

        public PaperRecord Issues(string number, PaperKind kind = PaperKind.Circuit, string supersedes = "")
        {
            var p = new PaperRecord(Guid.NewGuid(), Noon, "Ottoline Marsh", new PaperValues
            {
                Kind = kind,
                Number = number,
                Licence = "HD-55",
                Instruments = "grey gauge",
                Revision = 7,
                Supersedes = supersedes,
                Laptop = device,
                PublicKey = Key,
            }, null);
            p = p with { Readings = p.Readings with { Signature = Sign(PaperSeal.Statement(Rig, p)), Sha256 = new string('a', 64) } };
            return p with { Readings = p.Readings with { FileSignature = Sign(PaperSeal.FileStatement(p.Readings)) } };
        }

        public void Dispose() => _key.Dispose();
    }

    private static PaperOrigin Of(PaperRecord p, Laptop here) => PaperSeal.Judge(Rig, p, here.Key);

    private static IReadOnlyList<PaperRecord> Judged(Laptop here, params PaperRecord[] papers) =>
        PaperSeal.Once([.. papers.Select(p => p with { Origin = Of(p, here) })]);

    private static PaperRecord With(PaperRecord p, Func<PaperValues, PaperValues> change) => p with { Readings = change(p.Readings) };

    [Fact]
    public void A_paper_is_issued_here_elsewhere_or_altered()
    {
        using var here = new Laptop("1111111111111111");
        using var there = new Laptop("2222222222222222");
        var own = here.Issues($"KD4ZMKH9N-CIRCUIT-{here.Letters}-01");
        Of(own, here).ShouldBe(PaperOrigin.Here);
        Of(own, there).ShouldBe(PaperOrigin.Elsewhere);
        PaperSeal.Judge(Guid.NewGuid(), own, here.Key).ShouldBe(PaperOrigin.Altered, "of another rig");
        PaperRecord[] altered =
        [
            own with { At = own.At.AddYears(-7) }, own with { By = "Somebody" }, own with { Id = Guid.NewGuid() },
            With(own, v => v with { Number = own.Readings.Number[..^1] + "2" }), With(own, v => v with { Kind = PaperKind.StartUp }),
            With(own, v => v with { Licence = "HD-56" }), With(own, v => v with { Instruments = "red gauge" }), With(own, v => v with { Revision = 8 }),
            With(own, v => v with { Supersedes = "x" }), With(own, v => v with { KeySha256 = new string('b', 64) }),
            With(own, v => v with { PageSha256 = new string('b', 64) }), With(own, v => v with { Sha256 = new string('b', 64) }),
            With(own, v => v with { Laptop = "3333333333333333" }), With(own, v => v with { PublicKey = there.Key }),
            With(own, v => v with { Signature = "" }), With(own, v => v with { FileSignature = "x" }), With(own, v => v with { PublicKey = "" }),
        ];
        altered.ShouldAllBe(p => Of(p, here) == PaperOrigin.Altered);
        Of(With(own, v => v with { Signature = "", FileSignature = "", PublicKey = "" }), here).ShouldBe(PaperOrigin.Unsigned);
    }

    /// <summary>A number carries letters of its laptop and of its key: who writes another's is found out.</summary>
    [Fact]
    public void Nobody_takes_anothers_number()
    {
        using var here = new Laptop("1111111111111111");
        using var there = new Laptop("1111111111111111");
        here.Letters.ShouldNotBe(there.Letters, "the same device under another key");
        Of(there.Issues($"KD4ZMKH9N-CIRCUIT-{here.Letters}-01"), here).ShouldBe(PaperOrigin.Altered);
        Papers.Next("KD4ZMKH9N", PaperKind.Circuit, here.Letters, []).Number.ShouldBe($"KD4ZMKH9N-CIRCUIT-{here.Letters}-01");
    }

    /// <summary>A number stands once: for what was issued here, whatever order a file puts before it; else for the first that is signed.</summary>
    [Fact]
    public void A_number_stands_once()
    {
        using var here = new Laptop("1111111111111111");
        using var there = new Laptop("2222222222222222");
        var own = here.Issues($"KD4ZMKH9N-CIRCUIT-{here.Letters}-01");
        var forged = With(own, v => v with { Signature = "", FileSignature = "", PublicKey = "" }) with { Id = Guid.NewGuid() };
        Judged(here, forged, own).Select(p => p.Origin).ShouldBe([PaperOrigin.Twice, PaperOrigin.Here]);
        Judged(there, forged, own).Select(p => p.Origin).ShouldBe([PaperOrigin.Twice, PaperOrigin.Elsewhere]);
        var again = here.Issues(own.Readings.Number);
        Judged(there, own, again).Select(p => p.Origin).ShouldBe([PaperOrigin.Elsewhere, PaperOrigin.Twice]);
    }

    /// <summary>What is altered, twice or not signed never takes the place of what is genuine.</summary>
    [Fact]
    public void Only_what_counts_takes_a_papers_place()
    {
        using var here = new Laptop("1111111111111111");
        using var there = new Laptop("2222222222222222");
        var first = here.Issues($"KD4ZMKH9N-CIRCUIT-{here.Letters}-01");
        var unsigned = With(first, v => new PaperValues { Kind = v.Kind, Number = "KD4ZMKH9N-CIRCUIT-09", Supersedes = v.Number }) with { Id = Guid.NewGuid() };
        var altered = With(here.Issues($"KD4ZMKH9N-CIRCUIT-{here.Letters}-02", supersedes: first.Readings.Number), v => v with { Licence = "other" });
        var papers = Judged(here, first, unsigned, altered);
        papers.Select(p => Papers.Stands(p, papers)).ShouldBe([true, false, false]);
        var beside = Judged(here, first, there.Issues($"KD4ZMKH9N-CIRCUIT-{there.Letters}-01"));
        beside.Select(p => Papers.Stands(p, beside)).ShouldBe([true, true], "two that were issued apart both stand");
        var (number, supersedes) = Papers.Next("KD4ZMKH9N", PaperKind.Circuit, here.Letters, beside);
        number.ShouldEndWith("-02");
        supersedes.Split(", ").ShouldBe(beside.Select(p => p.Readings.Number));
        PaperRecord[] next = [.. beside, here.Issues(number, supersedes: supersedes) with { Origin = PaperOrigin.Here }];
        next.Select(p => Papers.Stands(p, next)).ShouldBe([false, false, true]);
        PaperRecord[] old = [unsigned, unsigned with { Id = Guid.NewGuid() }];
        old.Select(p => Papers.Stands(p, old)).ShouldBe([false, true], "of papers from before signatures the last stands");
    }
}
