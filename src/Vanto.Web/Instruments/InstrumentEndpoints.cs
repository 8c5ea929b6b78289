using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Vanto.Core.Commission;
using Vanto.Core.Crew;
using Vanto.Core.Findings;
using Vanto.Core.Instruments;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;
using Vanto.Documents;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Instruments;

/// <summary>A scene that can be simulated.</summary>
public sealed record SceneChoice(SceneKind Kind, string Name);

/// <summary>What is simulated now.</summary>
/// <param name="Seconds">Simulated so far.</param>
public sealed record SceneView(SceneKind Kind, string Name, double Seconds, double Rate);

/// <summary>Messages that were refused.</summary>
public sealed record RefusedView(string Reason, long Count);

/// <summary>A channel of a rig.</summary>
/// <param name="Name">What it measures, in words.</param>
/// <param name="Kind">How its values are shown.</param>
/// <param name="Value">The newest, as the product counts inside; null without one.</param>
/// <param name="State">What is odd about it, in words; empty where it sends and is well.</param>
/// <param name="Takes">What its trace can be taken over as.</param>
/// <param name="Missing">Readings that have not come.</param>
/// <param name="FromMs">First reading that is kept.</param>
/// <param name="ToMs">Last one.</param>
public sealed record ChannelView(int Id, string Instrument, InstrumentQuantity Quantity, string Name, QuantityKind Kind, bool Simulated, double? Value,
    string State, IReadOnlyList<TakeChoice> Takes, long Missing, long FromMs, long ToMs);

/// <summary>Instruments of a rig.</summary>
/// <param name="Said">What they say, in a sentence.</param>
/// <param name="Job">As it stands in topics.</param>
public sealed record InstrumentsView(Verdict Said, bool On, int Port, bool Wide, string Job, IReadOnlyList<string> Connected,
    IReadOnlyList<RefusedView> Refused, SceneView? Scene, IReadOnlyList<SceneChoice> Scenes, IReadOnlyList<ChannelView> Channels);

/// <summary>A stretch of a channel, thinned for a picture without losing an extreme.</summary>
/// <param name="Ms">Moments.</param>
/// <param name="Values">As the product counts inside; null is a gap.</param>
/// <param name="LowestMs">Where it is lowest: where a hold of the vacuum may have begun.</param>
public sealed record TraceView(int Channel, IReadOnlyList<long> Ms, IReadOnlyList<double?> Values, long? LowestMs);

/// <summary>Switches the broker.</summary>
public sealed record SwitchRequest(bool On);

/// <summary>Begins a scene.</summary>
public sealed record SceneRequest(SceneKind Scene, double Rate = 60, int Seed = 1);

/// <summary>What a trace is taken over as.</summary>
public enum TakeAs
{
    [Called("the hold of the vacuum, from its lowest")] Vacuum, [Called("the hold under nitrogen")] Nitrogen,
    [Called("the space as it cools down")] Cooling, [Called("all that stands steady now, as a start-up")] StartUp,
}

/// <summary>A trace may be taken over so.</summary>
/// <param name="Leaf">Where it is judged then.</param>
public sealed record TakeChoice(TakeAs As, string Words, string Leaf);

/// <summary>Takes readings of instruments over into the proof.</summary>
/// <param name="By">Who.</param>
/// <param name="Channel">Of which; a start-up asks all.</param>
/// <param name="FromMs">Begin; nothing lets Vanto find it.</param>
/// <param name="ToMs">End; nothing is the last.</param>
public sealed record TakeRequest(TakeAs As, string By, int? Channel = null, long? FromMs = null, long? ToMs = null);

/// <summary>A logger's file.</summary>
/// <param name="Content">Its bytes, base 64.</param>
/// <param name="Mapping">As confirmed; nothing asks how it looks.</param>
public sealed record ImportRequest(byte[] Content, LoggerMapping? Mapping = null);

/// <summary>What became of a file.</summary>
/// <param name="Guess">How it looks.</param>
/// <param name="Units">That can be chosen.</param>
/// <param name="Read">What was kept; nothing where it was only looked at.</param>
public sealed record ImportView(LoggerGuess Guess, IReadOnlyList<string> Units, ImportedView? Read);

/// <summary>What was kept of a file.</summary>
public sealed record ImportedView(int Readings, int Rows, IReadOnlyList<RejectedRow> Rejected, int RejectedRows, bool ManyRejected, int ClockSteps,
    int Doubtful);

/// <summary>Instruments: live, simulated and out of files.</summary>
public static class InstrumentEndpoints
{
    private const int UsualPoints = 800, MostPoints = 4000, ShownRejected = 20;

    /// <summary>Maps them under <c>/api/rigs/{id}/instruments</c>.</summary>
    public static void MapInstruments(this RouteGroupBuilder api)
    {
        var of = api.MapGroup("/rigs/{id:guid}/instruments").WithTags("instruments").Needs(CrewRight.Record);
        of.MapGet("", View).Needs(CrewRight.Read);
        of.MapPost("/broker", async Task<Results<Ok<InstrumentsView>, NotFound>> (Guid id, SwitchRequest asked, InstrumentDesk desk, ReadingLog log,
            RigLog rigs, TimeProvider clock) =>
        {
            await desk.Switch(asked.On);
            return await View(id, desk, log, rigs, clock);
        }).Needs(CrewRight.Share);
        of.MapPost("/scene", async Task<Results<Ok<InstrumentsView>, NotFound>> (Guid id, SceneRequest asked, InstrumentDesk desk, ReadingLog log,
            RigLog rigs, TimeProvider clock) =>
        {
            if (await rigs.Find(id) is null)
                return TypedResults.NotFound();
            await desk.Simulate(id, asked.Scene, asked.Rate, (ulong)asked.Seed);
            return await View(id, desk, log, rigs, clock);
        });
        of.MapPost("/scene/stop", async Task<Results<Ok<InstrumentsView>, NotFound>> (Guid id, InstrumentDesk desk, ReadingLog log, RigLog rigs,
            TimeProvider clock) =>
        {
            await desk.Stop(id);
            return await View(id, desk, log, rigs, clock);
        });
        of.MapGet("/trace", Traced).Needs(CrewRight.Read);
        of.MapPost("/take", Take);
        of.MapPost("/import", Import).WithMetadata(new RequestSizeLimitAttribute(Server.WeatherLimit));
    }

    private static async Task<Results<Ok<InstrumentsView>, NotFound>> View(Guid id, InstrumentDesk desk, ReadingLog log, RigLog rigs, TimeProvider clock)
    {
        if (await rigs.Find(id) is null)
            return TypedResults.NotFound();
        var live = desk.Live(id).ToDictionary(c => (c.Instrument, c.Quantity, c.Simulated));
        var channels = new List<ChannelView>();
        foreach (var (row, from, to) in await log.Spans(id))
            if (InstrumentQuantities.Named(row.Quantity) is { } quantity)
            {
                var feed = live.GetValueOrDefault((row.Instrument, quantity, row.Simulated))?.Feed;
                var last = feed?.Last;
                channels.Add(new ChannelView(row.Id, row.Instrument, quantity, Calls.Name(quantity), InstrumentQuantities.Kind(quantity), row.Simulated,
                    last?.Value is { } value ? InstrumentQuantities.Inside(quantity, value) : null, StateOf(feed, clock.GetUtcNow()), Takes(quantity),
                    feed?.Missing ?? 0, from, to));
            }
        return TypedResults.Ok(new InstrumentsView(Said(channels, desk.Broker.On), desk.Broker.On, desk.Broker.Port, desk.Broker.Wide,
            id.ToString("N"), desk.Broker.Connected, [.. desk.Broker.Refused.OrderByDescending(r => r.Value).Select(r => new RefusedView(r.Key, r.Value))],
            desk.SceneOf(id) is { } playing
                ? new SceneView(playing.Scene.Kind, Calls.Name(playing.Scene.Kind), playing.Scene.Seconds, playing.Rate) : null,
            [.. Enum.GetValues<SceneKind>().Select(k => new SceneChoice(k, Calls.Name(k)))], channels));
    }

    private const string Kept = "kept", Silent = "silent";

    private static string StateOf(InstrumentFeed? feed, DateTimeOffset now) => feed is null ? Kept
        : feed.Last is { Quality: not ReadingQuality.Good } odd ? Calls.Name(odd.Quality) : feed.Stale(now) ? Silent : "";

    private static readonly Dictionary<TakeAs, (InstrumentQuantity Of, string Leaf)> Holds = new()
    {
        [TakeAs.Vacuum] = (InstrumentQuantity.AbsolutePressure, "dry"),
        [TakeAs.Nitrogen] = (InstrumentQuantity.GaugePressure, "tight"),
        [TakeAs.Cooling] = (InstrumentQuantity.Temperature, "cooling"),
    };

    private static IReadOnlyList<TakeChoice> Takes(InstrumentQuantity quantity) =>
    [
        .. Holds.Where(h => h.Value.Of == quantity).Select(h => new TakeChoice(h.Key, Calls.Name(h.Key), h.Value.Leaf)),
        new TakeChoice(TakeAs.StartUp, Calls.Name(TakeAs.StartUp), "readings"),
    ];

    /// <summary>What the first instrument says, and who is silent.</summary>
    private static Verdict Said(IReadOnlyList<ChannelView> channels, bool on)
    {
        var heard = channels.Where(c => c.State.Length == 0).ToList();
        var silent = channels.Count(c => c.State == Silent);
        if (heard.FirstOrDefault() is not { Value: { } value } first)
            return new Verdict(StationState.Open, channels.Count == 0 ? Phrase.Of($"No instrument has sent anything to this rig.")
                : silent > 0 ? Phrase.Of($"All instruments are silent.") : Phrase.Of($"{Calls.Many(channels.Count, "trace")} kept; nothing is heard now."),
                on ? Phrase.Of($"Vanto listens.") : Phrase.Of($"Nobody listens: switch it on, simulate, or read a logger's file."));
        return new Verdict(silent > 0 ? StationState.Caution : StationState.Open,
            Phrase.Of($"{first.Instrument} reads {Phrase.Of(new Measure(value, first.Kind))}{(first.Simulated ? ", simulated" : "")}."),
            silent > 0 ? Phrase.Of($"{Calls.Many(silent, "channel")} of {channels.Count:Count} silent: power, distance, or a message that was refused.")
                : Phrase.Of($"{Calls.Many(heard.Count, "channel")} heard."));
    }

    private static async Task<Results<Ok<TraceView>, NotFound>> Traced(Guid id, int channel, ReadingLog log, long? from = null, long? to = null,
        int points = UsualPoints)
    {
        if (points is < 8 or > MostPoints)
            throw new InputException("points", $"{points}", $"8 to {MostPoints} points are drawn; {points} were asked");
        if (await Channel(id, channel, log) is not { } row || await log.Span(channel) is not var (first, last))
            return TypedResults.NotFound();
        var quantity = InstrumentQuantities.Named(row.Quantity)!.Value;
        var whole = (await log.Points(channel, from ?? first, to ?? last)).Select(p => new TracePoint(p.AtMs, p.Value)).ToList();
        var thin = Trace.Thinned(whole, points);
        return TypedResults.Ok(new TraceView(channel, [.. thin.Select(p => p.Ms)],
            [.. thin.Select(p => p.Value is { } v ? InstrumentQuantities.Inside(quantity, v) : (double?)null)], Trace.LowestAt(whole)));
    }

    private static async Task<ChannelRow?> Channel(Guid id, int channel, ReadingLog log) => (await log.Channels(id)).FirstOrDefault(c => c.Id == channel);

    private static async Task<TakenTrace> TraceOf(ChannelRow row, ReadingLog log, long? fromMs, long? toMs) => new(row.Instrument, row.Simulated,
        [.. (await log.Points(row.Id, fromMs ?? 0, toMs ?? long.MaxValue, whole: true)).Select(p => new TracePoint(p.AtMs, p.Value))]);

    private static async Task<Results<Ok<RigView>, NotFound>> Take(Guid id, TakeRequest asked, ReadingLog log, RigDesk desk, TimeProvider clock,
        HttpContext http)
    {
        var by = CrewCaller.Of(http).Signs(asked.By);
        if (by.Length is 0 or > RigDesk.LongestName / 2)
            throw new InputException("by", asked.By, $"Who takes them over? Write a name of 1 to {RigDesk.LongestName / 2} characters.");
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var taking = new Taking(by, clock.GetUtcNow(), Guid.CreateVersion7);
        var records = asked.As == TakeAs.StartUp ? [await StartUp(id, view, log, taking)] : await Hold(id, asked, view, log, taking);
        return await desk.Record(id, records, null) is { } written ? TypedResults.Ok(written) : TypedResults.NotFound();
    }

    private static async Task<IReadOnlyList<StationRecord>> Hold(Guid id, TakeRequest asked, RigView view, ReadingLog log, Taking taking)
    {
        var wanted = Holds[asked.As].Of;
        if (asked.Channel is not { } number || await Channel(id, number, log) is not { } row)
            throw new InputException("channel", $"{asked.Channel}", "Which instrument? Choose one of this rig.");
        if (row.Quantity != InstrumentQuantities.Name(wanted))
            throw new InputException("channel", row.Instrument, $"{row.Instrument} reads {row.Quantity}; {InstrumentQuantities.Name(wanted)} is needed here.");
        var trace = await TraceOf(row, log, asked.FromMs, asked.ToMs);
        if (asked.As == TakeAs.Vacuum)
            return FromInstruments.Vacuum(trace, asked.FromMs, asked.ToMs, taking);
        if (asked.As == TakeAs.Cooling)
            (view.Assessment.Commission?.Places ?? []).MustShowTheSpace(row.Instrument);
        if (asked.As == TakeAs.Cooling)
            return FromInstruments.Cooling(trace, asked.FromMs, asked.ToMs, taking);
        var pipe = (await log.Channels(id)).FirstOrDefault(c => c.Instrument == row.Instrument && c.Simulated == row.Simulated
            && c.Quantity == InstrumentQuantities.Name(InstrumentQuantity.Temperature));
        return FromInstruments.Nitrogen(trace, pipe is null ? [] : (await TraceOf(pipe, log, asked.FromMs, asked.ToMs)).Points,
            asked.FromMs, asked.ToMs, taking);
    }

    private static async Task<StationRecord> StartUp(Guid id, RigView view, ReadingLog log, Taking taking)
    {
        var steady = new Dictionary<(string, InstrumentQuantity), TakenTrace>();
        foreach (var row in await log.Channels(id))
            if (InstrumentQuantities.Named(row.Quantity) is { } quantity && await log.Span(row.Id) is var (_, to))
                steady[(row.Instrument, quantity)] = await TraceOf(row, log, to - FromInstruments.SteadyMs, to);
        return FromInstruments.StartUp(steady, view.Assessment.Commission?.Places ?? [], view.Assessment.Commission?.Record, taking);
    }

    private static async Task<Results<Ok<ImportView>, NotFound>> Import(Guid id, ImportRequest asked, InstrumentDesk desk, RigLog rigs, LargeFiles files) =>
        await rigs.Find(id) is null ? TypedResults.NotFound() : TypedResults.Ok(await files.Read(() => Imported(id, asked, desk)));

    private static async Task<ImportView> Imported(Guid id, ImportRequest asked, InstrumentDesk desk)
    {
        var rows = LoggerCsv.Rows(asked.Content);
        var guess = LoggerFile.Guess(rows);
        string[] units = [.. LoggerUnits.All.Select(u => u.Text)];
        if (asked.Mapping is not { } mapping)
            return new ImportView(guess, units, null);
        var read = LoggerFile.Read(rows, mapping);
        await desk.Import(id, read.Readings);
        return new ImportView(guess, units, new ImportedView(read.Readings.Count, read.Rows, [.. read.Rejected.Take(ShownRejected)],
            read.Rejected.Count, read.ManyRejected, read.Steps, read.Doubtful));
    }
}
