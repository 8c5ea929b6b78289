using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Vanto.Core.Handover;
using Vanto.Core.Install;
using Vanto.Core.Instruments;
using Vanto.Core.Job;
using Vanto.Core.Mount;
using Vanto.Core.Stations;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Handover;
using Vanto.Web.Service;

namespace Vanto.Web.Exchange;

/// <summary>What another laptop needs to know of a design beside its text.</summary>
/// <param name="Rig">The rig's own id, the same on every laptop.</param>
/// <param name="At">When the design was changed last.</param>
/// <param name="Lineage">Hashes of all that it was, itself the last.</param>
/// <param name="WeatherName">What its weather file is called; empty without one.</param>
public sealed record BundleHead(Guid Rig, DateTimeOffset At, IReadOnlyList<string> Lineage, string WeatherName);

/// <summary>Files of one rig, as they lie in a bundle.</summary>
public sealed class BundleFiles(RigLog log, ReadingLog readings, StationRegistry stations, TimeProvider clock)
{
    public const string Head = "job/head.json", Job = "job/job.json", Events = "record/events.json";

    /// <summary>Folder of issued papers.</summary>
    public const string Certificates = "record/certificates/";

    /// <summary>Folders whose files are kept under the hash of their content.</summary>
    public static readonly string[] Hashed = ["photos/", Certificates, "record/pages/"];

    public const string Weather = "weather/";

    /// <summary>Folder of what instruments read, a file for each channel.</summary>
    public const string Traces = "readings/traces/";

    /// <summary>Hash of a design's text, hex.</summary>
    public static string Hash(string design) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(design)))[..32];

    /// <summary>All files of a rig.</summary>
    public async Task<SortedDictionary<string, byte[]>> Of(RigView view)
    {
        var lineage = new List<string>();
        await foreach (var text in log.Texts(view.Id))
            lineage.Add(Hash(text));
        var weather = await RigWeather.File(view.Id, view.Design, log);
        var files = new SortedDictionary<string, byte[]>(StringComparer.Ordinal)
        {
            [Head] = JsonSerializer.SerializeToUtf8Bytes(new BundleHead(view.Id, view.SavedAt, lineage, weather?.Name ?? ""), JobFile.Json),
            [Job] = Encoding.UTF8.GetBytes(JobFile.Write(view.Design, indented: true)),
            [Events] = JobBundle.Events(view.Records, stations.KindOf, await log.Stamps(view.Id)),
            ["readings/records.csv"] = JobBundle.Csv(view.Records, view.Design.Handover.Code),
            ["README.txt"] = Encoding.UTF8.GetBytes(JobBundle.Readme),
        };
        if (weather is not null)
            files[$"{Weather}{weather.Id}.epw"] = weather.Content;
        foreach (var paper in view.Records.OfType<PaperRecord>())
        {
            if (await log.Photo(view.Id, paper.Readings.Sha256) is { } file)
                files[$"{Certificates}{Named(paper)}.pdf"] = file.Content;
            if (await log.Photo(view.Id, paper.Readings.PageSha256) is { } page)
                files[$"record/pages/{Named(paper)}.json"] = page.Content;
        }
        foreach (var sha in Photos(view.Records))
            if (await log.Photo(view.Id, sha) is { } photo)
                files[$"photos/{sha}.jpg"] = photo.Content;
        await Traced(view, files);
        Drawn(view, files);
        return files;
    }

    /// <summary>What a paper's files are called: two papers of one number are two files.</summary>
    private static string Named(PaperRecord paper) =>
        $"{FileNames.Safe(paper.Readings.Number).ToUpperInvariant()}-{paper.Readings.Sha256[..Math.Min(ShaShown, paper.Readings.Sha256.Length)]}";

    private const int ShaShown = 12;

    /// <summary>What real instruments read; what was simulated stays where it was played.</summary>
    private async Task Traced(RigView view, SortedDictionary<string, byte[]> files)
    {
        foreach (var channel in (await readings.Channels(view.Id)).Where(c => !c.Simulated))
            if (InstrumentQuantities.Named(channel.Quantity) is { } quantity && await readings.Whole(channel.Id) is { Count: > 0 } rows)
                files[$"{Traces}{channel.Instrument}-{channel.Quantity}.csv"] = TraceCsv.Write(rows.Select(r => new TracedReading(
                    new InstrumentReading(channel.Instrument, quantity, r.Value, DateTimeOffset.FromUnixTimeMilliseconds(r.At), r.Seq,
                        (ReadingQuality)r.Quality), r.Late)), view.Design.Handover.Code);
    }

    /// <summary>Hashes of the photographs that a log names.</summary>
    public static IEnumerable<string> Photos(IEnumerable<StationRecord> records) =>
        records.OfType<InstallRecord>().Where(r => r.Event.Type == EventType.PhotoTaken && r.Event.Text.Length > 0).Select(r => r.Event.Text).Distinct();

    private void Drawn(RigView view, SortedDictionary<string, byte[]> files)
    {
        var all = view.Assessment;
        if (all.Handover is { } sheet)
            files["guide/guide.pdf"] = HandoverPdf.Render(view.Design, PublicGuide.Whole(sheet, all.Service), view.Design.Units,
                DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        if (all.Service is { } service)
            files["calendar/service.ics"] = Encoding.UTF8.GetBytes(CareCalendar.Write(service.Care, ServiceEndpoints.Named(view)));
        if (all.Mount is { } mount)
        {
            files["drawings/mount.svg"] = Encoding.UTF8.GetBytes(DrawingSvg.Write(MountDrawing.Of(mount), $"{view.Design.Name}: mount"));
            files["drawings/mount.dxf"] = Encoding.ASCII.GetBytes(DxfWriter.Write(MountDrawing.Of(mount).Items));
        }
    }
}
