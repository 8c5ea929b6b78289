using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using Vanto.Web.Handover;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>Issued papers on two laptops, honest and forged.</summary>
public sealed class ForgedPaperTests : IAsyncLifetime
{
    private readonly RunningServer _one = new(), _two = new();
    private string _rig = "";

    public async Task InitializeAsync()
    {
        await Task.WhenAll(_one.InitializeAsync(), _two.InitializeAsync());
        _rig = (await _one.Begin("Merganser")).Id();
        await Read(await _one.Patch(_rig, 1, [Set("/unit/chosen", "MS-12-120"), Set("/handover/contact", "bench line 14")]));
        await Read(await _one.Http.PostAsJsonAsync($"/api/rigs/{_rig}/records",
            new { kind = "vacuum", by = "Ottoline Marsh", values = new { value = "450", unit = "micron", shutOff = "true" } }));
    }

    public Task DisposeAsync() => Task.WhenAll(_one.DisposeAsync(), _two.DisposeAsync());

    private async Task<JsonNode> Issue(RunningServer on, string kind = "circuit", string by = "Ottoline Marsh") => await Read(
        await on.Http.PostAsJsonAsync($"/api/rigs/{_rig}/papers", new { kind, by, licence = "HD-55", instruments = Array.Empty<string>() }));

    private Task<byte[]> Bundle(RunningServer of) => of.Http.GetByteArrayAsync($"/api/rigs/{_rig}/bundle.zip");

    private static async Task<JsonNode> Bring(RunningServer to, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        return (await Read(await to.Http.PostAsync("/api/exchange", content)))["rigs"]![0]!;
    }

    private Task<byte[]> Pdf(RunningServer on, string id) => on.Http.GetByteArrayAsync($"/api/rigs/{_rig}/papers/{id}.pdf");

    private async Task<List<JsonNode>> Papers(RunningServer on) =>
        [.. (await on.View(_rig))["assessment"]!["handover"]!["papers"]!.AsArray().Select(p => p!)];

    /// <summary>Ann issues at one laptop, Ben at the other, apart: two numbers, both papers in every bundle, each can be opened everywhere.</summary>
    [Fact]
    public async Task Two_laptops_never_issue_one_number_and_no_paper_is_lost()
    {
        await Issue(_one);
        await Bring(_two, await Bundle(_one));
        var (ann, ben) = (await Issue(_one, by: "Ann"), await Issue(_two, by: "Ben"));
        ann.Text("/number").ShouldNotBe(ben.Text("/number"));
        var report = await Bring(_one, await Bundle(_two));
        ((int)report["missingPapers"]!, report["papers"]!.AsArray().Count).ShouldBe((0, 0));
        await Bring(_two, await Bundle(_one));
        foreach (var paper in new[] { ann, ben })
            (await Pdf(_one, paper.Text("/id"))).ShouldBe(await Pdf(_two, paper.Text("/id")));
        Bundles.Files(await Bundle(_one)).Keys.Count(k => k.StartsWith("record/certificates/")).ShouldBe(3);
        (await Papers(_one)).Where(p => (bool)p["standing"]!).Select(p =>
            p.Text("/says")).ShouldBe([$"issued on another laptop, {ben.Text("/number").Split('-')[2]}", ""],
            ignoreOrder: true);
        (await Papers(_two)).Single(p => p.Text("/by") == "Ann").Text("/says").ShouldStartWith("issued on another laptop");
    }

    /// <summary>A record of a paper with a number that stands, and a file of one's own, changes nothing of what was issued.</summary>
    [Fact]
    public async Task A_forged_paper_never_takes_the_place_of_what_was_issued()
    {
        var issued = await Issue(_one);
        var before = await Pdf(_one, issued.Text("/id"));
        var files = Bundles.Files(await Bundle(_one));
        var log = JsonNode.Parse(files["record/events.json"])!.AsArray();
        var own = log.Single(r => r!.Text("/kind") == "paper")!;
        var fake = Encoding.ASCII.GetBytes("%PDF-1.7 forged");
        JsonObject Forged(bool signed)
        {
            var forged = (JsonObject)own.DeepClone();
            (forged["id"], forged["at"], forged["stamp"]) = (Guid.NewGuid(), "2020-01-01T00:00:00+00:00", null);
            forged["values"]!["sha256"] = Convert.ToHexStringLower(SHA256.HashData(fake));
            if (!signed)
                foreach (var name in new[] { "signature", "fileSignature", "publicKey", "laptop" })
                    forged["values"]![name] = "";
            return forged;
        }

        var (signed, unsigned) = (Forged(true), Forged(false));
        log.Add(signed);
        log.Add(unsigned);
        files["record/events.json"] = Encoding.UTF8.GetBytes(log.ToJsonString());
        files["record/certificates/forged.pdf"] = fake;
        var report = await Bring(_one, Bundles.Zip(files));
        report["papers"]!.AsArray().Select(p => (string)p!).ShouldBe(
            [$"{issued.Text("/number")}: altered: its signature does not stand", $"{issued.Text("/number")}: its number stands twice"], ignoreOrder: true);
        (await Pdf(_one, issued.Text("/id"))).ShouldBe(before);
        var listed = await Papers(_one);
        listed.Single(p => (bool)p["standing"]!).Id().ShouldBe(issued.Text("/id"));
        (await _one.View(_rig))["assessment"]!["handover"]!["answers"]!["papers"]!.ToJsonString().ShouldContain("is not what was issued");
    }

    /// <summary>A guide out of a file kills no label and shows no page of its own: what is shown is drawn by Vanto, as text.</summary>
    [Fact]
    public async Task A_forged_guide_leaves_the_label_alive_and_shows_nothing_foreign()
    {
        var guide = await Issue(_one, "guide");
        var code = guide["view"]!["design"]!["handover"]!.Text("/code");
        var label = $"/h/{code}?k={guide.Text("/key")}";
        var page = await _one.Http.GetStringAsync(label);
        var files = Bundles.Files(await Bundle(_one));
        var log = JsonNode.Parse(files["record/events.json"])!.AsArray();
        var html = "<html><body><h1>Pay here</h1></body></html>"u8.ToArray();
        var forged = (JsonObject)log.Single(r => r!.Text("/kind") == "paper")!.DeepClone();
        (forged["id"], forged["stamp"]) = (Guid.NewGuid(), null);
        forged["values"]!["keySha256"] = Convert.ToHexStringLower(SHA256.HashData("ABC"u8));
        forged["values"]!["pageSha256"] = Convert.ToHexStringLower(SHA256.HashData(html));
        forged["values"]!["number"] = "X-GUIDE-09";
        foreach (var name in new[] { "signature", "fileSignature", "publicKey", "laptop" })
            forged["values"]![name] = "";
        log.Add(forged);
        files["record/events.json"] = Encoding.UTF8.GetBytes(log.ToJsonString());
        files["record/pages/forged.json"] = html;
        await Bring(_one, Bundles.Zip(files));
        (await _one.Http.GetStringAsync(label)).ShouldBe(page);
        var shown = await _one.Http.GetAsync($"/h/{code}?k=ABC");
        (await shown.Content.ReadAsStringAsync()).ShouldNotContain("Pay here");
        // Another laptop that issues anew takes the place, and the old label says so.
        await Bring(_two, await Bundle(_one));
        var newer = await Issue(_two, "guide");
        await Bring(_one, await Bundle(_two));
        (await _one.Http.GetStringAsync(label)).ShouldContain($"A newer guide, {newer.Text("/number")}, was issued on another laptop.");
        (await _one.Http.GetStringAsync($"/h/{code}?k={newer.Text("/key")}")).ShouldContain("Issued on another laptop of the shop.");
    }

    [Fact]
    public async Task A_paper_whose_file_did_not_come_along_is_counted()
    {
        await Issue(_one);
        var files = Bundles.Files(await Bundle(_one));
        var report = await Bring(_two, Bundles.Zip(files.Where(f => !f.Key.StartsWith("record/certificates/"))));
        ((int)report["missingPapers"]!).ShouldBe(1);
    }

    private static async Task<(int Code, string Said)> Verified(string store, byte[] content)
    {
        var file = Path.Combine(Path.GetDirectoryName(store)!, Guid.NewGuid().ToString("N"));
        await File.WriteAllBytesAsync(file, content);
        var (outTo, errTo) = (Console.Out, Console.Error);
        using var said = new StringWriter();
        Console.SetOut(said);
        Console.SetError(said);
        try
        {
            return (await VerifyCommand.Run(store, file), said.ToString());
        }
        finally
        {
            Console.SetOut(outTo);
            Console.SetError(errTo);
        }
    }

    [Fact]
    public async Task A_file_is_verified_without_a_server()
    {
        var issued = await Issue(_one);
        var bundle = await Bundle(_one);
        var whole = await Verified(_one.Store, bundle);
        whole.Code.ShouldBe(0, whole.Said);
        whole.Said.ShouldContain($"{issued.Text("/number")}, proof of the circuit");
        whole.Said.ShouldContain("issued here");
        (await Verified(_two.Store, bundle)).Said.ShouldContain("issued on another laptop");
        var files = Bundles.Files(bundle);
        var log = JsonNode.Parse(files["record/events.json"])!.AsArray();
        log.Single(r => r!.Text("/kind") == "paper")!["by"] = "Somebody";
        files["record/events.json"] = Encoding.UTF8.GetBytes(log.ToJsonString());
        var altered = await Verified(_one.Store, Bundles.Zip(files));
        (altered.Code, altered.Said.Contains("altered")).ShouldBe((1, true));
        bundle[bundle.Length / 2] ^= 1;
        (await Verified(_one.Store, bundle)).Code.ShouldBe(1);
        var pdf = await Pdf(_one, issued.Text("/id"));
        var paper = await Verified(_one.Store, pdf);
        (paper.Code, paper.Said.Contains("issued here")).ShouldBe((0, true));
        pdf[^10] ^= 1;
        (await Verified(_one.Store, pdf)).Said.ShouldContain("it was changed, or issued elsewhere");
    }

    /// <summary>The key is made once, closed to others, and stays; a damaged one is laid aside.</summary>
    [Fact]
    public void A_laptops_key_is_its_own()
    {
        var store = Path.Combine(Directory.CreateTempSubdirectory("vanto-key-").FullName, "vanto.db");
        string key;
        using (var first = LaptopSeal.Of(store))
            key = first.PublicKey;
        using (var second = LaptopSeal.Of(store))
            second.PublicKey.ShouldBe(key);
        if (!OperatingSystem.IsWindows())
            File.GetUnixFileMode(LaptopSeal.FileOf(store)).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
        File.WriteAllText(LaptopSeal.FileOf(store), "-----BEGIN nothing");
        using var third = LaptopSeal.Of(store);
        third.PublicKey.ShouldNotBe(key);
        File.Exists(LaptopSeal.FileOf(store) + ".damaged").ShouldBeTrue();
    }
}
