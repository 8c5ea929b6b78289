using System.Security.Cryptography;
using System.Text;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Handover;
using Vanto.Core.Quantities;
using Vanto.Core.Wiring;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Rigs;
using Vanto.Web.Shop;

namespace Vanto.Web.Handover;

/// <summary>What is to be issued.</summary>
/// <param name="Kind">Which paper.</param>
/// <param name="By">Who issues it.</param>
/// <param name="Licence">Of that person.</param>
/// <param name="Instruments">Names of the shop's instruments that were read.</param>
public sealed record PaperRequest(PaperKind Kind, string By, string Licence, IReadOnlyList<string> Instruments);

/// <summary>A paper that was issued.</summary>
/// <param name="Id">Of its record.</param>
/// <param name="Key">Of a guide: the key on its label, told this once; empty for the others.</param>
public sealed record IssuedPaper(Guid Id, string Number, string Key, RigView View);

/// <summary>Turns in which papers are issued, one after another at each rig; apart from those of its changes, of which an issue makes several.</summary>
public sealed class PaperTurns : RigTurns;

/// <summary>Issues papers: what they are made of is frozen as a file under its hash, and the record of it cannot be typed.</summary>
public sealed class PaperDesk(RigDesk desk, RigLog log, ShopDesk shop, LaptopClock laptop, LaptopSeal seal, PaperTurns turns, TimeProvider clock)
{
    private const int KeySigns = 26, KeyBytes = 16, CodeBytes = 5, LongestLicence = 80;

    /// <summary>Issues one.</summary>
    /// <exception cref="InputException">Nobody's name, an unknown instrument, or nothing was read that it could certify.</exception>
    public async Task<IssuedPaper?> Issue(Guid id, PaperRequest asked)
    {
        if (asked.By.Trim().Length is 0 or > RigDesk.LongestName)
            throw new InputException("by", asked.By, "Who issues it? Write a name of 1 to 80 characters.");
        if (asked.Licence.Length > LongestLicence)
            throw new InputException("licence", asked.Licence, $"licence: at most {LongestLicence} characters");
        return await turns.Take(id, () => Made(id, asked));
    }

    private async Task<IssuedPaper?> Made(Guid id, PaperRequest asked)
    {
        if (await desk.View(id) is not { } view)
            return null;
        if (view.Design.Handover.Code.Length == 0)
        {
            await desk.Patch(id, new RigPatch(view.Revision, [new FieldChange("/handover/code", null, Code())], "papers", Label: "code of the job"));
            view = (await desk.View(id))!;
        }
        var today = shop.Today;
        var known = (await shop.View()).Instruments;
        var instruments = asked.Instruments.Select(name => known.FirstOrDefault(i => i.Name == name)
            ?? throw new InputException("instruments", name, $"The shop has no instrument \"{name}\".")).ToList();
        var papers = view.Records.OfType<PaperRecord>().ToList();
        var letters = PaperSeal.LettersOf(laptop.Device, seal.PublicKey);
        var (number, supersedes) = Papers.Next(view.Design.Handover.Code, asked.Kind, letters, papers);
        string[] printed = [.. instruments.Select(i => i.Printed(today))];
        var key = asked.Kind == PaperKind.Guide ? JobCode.Spelled(new UInt128(BitConverter.ToUInt64(RandomNumberGenerator.GetBytes(KeyBytes / 2)),
            BitConverter.ToUInt64(RandomNumberGenerator.GetBytes(KeyBytes / 2))), KeySigns) : "";
        var by = asked.By.Trim();
        // Drawn once before anything is kept: what cannot be drawn is not issued.
        Drawn(asked.Kind, view, new PaperHead(number, supersedes, by, asked.Licence.Trim(), printed, ""), today);
        var page = key.Length == 0 ? "" : await Keep(id, PublicGuide.Frozen(view.Design,
            PublicGuide.Whole(view.Assessment.Handover!, view.Assessment.Service), today, number).Written);
        var record = new PaperRecord(Guid.CreateVersion7(), clock.GetUtcNow(), by, new PaperValues
        {
            Kind = asked.Kind,
            Number = number,
            Revision = view.Revision,
            Supersedes = supersedes,
            Licence = asked.Licence.Trim(),
            Instruments = string.Join("; ", printed),
            KeySha256 = key.Length == 0 ? "" : Hash(Encoding.UTF8.GetBytes(key)),
            PageSha256 = page,
            Laptop = laptop.Device,
            PublicKey = seal.PublicKey,
        }, null);
        var said = record.Readings with { Signature = seal.Sign(PaperSeal.Statement(id, record)) };
        var head = new PaperHead(number, supersedes, by, said.Licence, printed, PaperSeal.CodeOf(said.Signature));
        said = said with { Sha256 = await Keep(id, Drawn(asked.Kind, view, head, today)) };
        var whole = record with { Readings = said with { FileSignature = seal.Sign(PaperSeal.FileStatement(said)) } };
        return await desk.Record(id, [whole], null) is { } after ? new IssuedPaper(whole.Id, number, key, after) : null;
    }

    private static byte[] Drawn(PaperKind kind, RigView view, PaperHead head, DateOnly today)
    {
        var (design, all) = (view.Design, view.Assessment);
        InputException Nothing(string words) => new("kind", Calls.Name(kind), words);
        switch (kind)
        {
            case PaperKind.Circuit:
                if (all.Commission is not { } proof || !view.Records.Any(r => r is NitrogenRecord or VacuumRecord or LeakRecord or ReleaseRecord))
                    throw Nothing("Nothing of the circuit was read yet: there is nothing to certify.");
                return ProofPdf.Certificate(design.Name, proof, view.Records, design.Units, today, head);
            case PaperKind.StartUp:
                if (all.Commission is not { Record: not null } started)
                    throw Nothing("No start-up was read yet: there is nothing to certify.");
                return ProofPdf.StartUp(design.Name, started, view.Records, design.Units, today, head);
            case PaperKind.Electrical:
                var tests = view.Records.OfType<PowerTestRecord>().ToList();
                if (all.Wiring is not { } wiring || tests.Count == 0)
                    throw Nothing("No test before power was read yet: there is nothing to certify.");
                return TestCertificatePdf.Render(design.Name, wiring, tests, design.Units, today, head);
            default:
                if (all.Handover is not { } sheet)
                    throw Nothing("An earlier station has a stop that keeps the guide from being put together.");
                if (design.Handover.Contact.Length == 0)
                    throw new InputException("contact", "", "contact: whom the owner calls must stand on the guide; write it at \"Call\".");
                return HandoverPdf.Render(design, PublicGuide.Whole(sheet, all.Service), design.Units, today, head);
        }
    }

    private async Task<string> Keep(Guid id, byte[] content)
    {
        var name = Hash(content);
        await log.KeepPhoto(new AttachmentRow { Id = Guid.CreateVersion7(), RigId = id, At = clock.GetUtcNow(), Name = name, Content = content });
        return name;
    }

    /// <summary>Hash of a content, in hex.</summary>
    public static string Hash(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));

    private static string Code()
    {
        while (true)
        {
            var bits = RandomNumberGenerator.GetBytes(CodeBytes).Aggregate(0UL, (sum, b) => sum << 8 | b);
            if (JobCode.Of(bits) is { } code)
                return code;
        }
    }
}
