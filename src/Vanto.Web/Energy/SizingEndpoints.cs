using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Threading.Channels;
using Vanto.Core.Crew;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Storage;
using Vanto.Web.Crew;
using Vanto.Web.Rigs;

namespace Vanto.Web.Energy;

/// <summary>
/// The search for the smallest kit, as a stream of events: where it waits in the queue, progress, then the result or a fault. Closing the stream
/// stops the search.
/// </summary>
public static class SizingEndpoints
{
    private static readonly TimeSpan BetweenPlaces = TimeSpan.FromMilliseconds(500);

    /// <summary>Maps the search of a rig.</summary>
    public static void MapSizing(this RouteGroupBuilder api) =>
        api.MapGet("/rigs/{id:guid}/sizing", Search).WithTags("energy").Needs(CrewRight.Read).Produces<SizingResult>(contentType: "text/event-stream")
            .Produces(StatusCodes.Status404NotFound);

    private static async Task<IResult> Search(Guid id, RigDesk desk, RigLog log, LongRuns runs, HttpContext http)
    {
        if (await desk.View(id) is not { } view)
            return TypedResults.NotFound();
        var named = view.Design.Survey.Climate.WeatherFile.Length > 0 ? await RigWeather.File(view.Id, view.Design, log) : null;
        return TypedResults.ServerSentEvents(Events(view, named is null ? null : RigWeather.Read(named), runs, http, http.RequestAborted));
    }

    private static async IAsyncEnumerable<SseItem<string>> Events(RigView view, WeatherYear? year, LongRuns runs, HttpContext http,
        [EnumeratorCancellation] CancellationToken stop)
    {
        var channel = Channel.CreateUnbounded<SseItem<string>>();
        void Say<T>(string name, T value) => channel.Writer.TryWrite(new SseItem<string>(JsonSerializer.Serialize(value, JobFile.Json), name));
        var name = Guid.NewGuid().ToString();
        var work = Worked();
        var waits = Waits();
        await foreach (var item in channel.Reader.ReadAllAsync(stop))
            yield return item;
        await Task.WhenAll(work, waits);

        async Task Worked()
        {
            try
            {
                await runs.Run(http, token => Work(view, year, Say, token), name);
            }
            catch (Exception e) when (e is OperationCanceledException or BusyException)
            {
                if (e is BusyException)
                    Say("fault", e.Message);
            }
            finally
            {
                channel.Writer.Complete();
            }
        }

        async Task Waits()
        {
            while (!work.IsCompleted && runs.Place(name).Place is > 0 and var place)
            {
                Say("queued", place);
                await Task.WhenAny(work, Task.Delay(BetweenPlaces));
            }
        }
    }

    private static bool Work(RigView view, WeatherYear? year, Action<string, object> say, CancellationToken stop)
    {
        try
        {
            var search = RigKitSearch.Rig(view.Design, year) ?? throw new InputException("unit", "", "The stations before Energy have a fault; mend it first.");
            say("result", search(new Told(p => say("progress", p)), stop));
        }
        catch (InputException e)
        {
            say("fault", e.Errors[0].InUnits(view.Design.Units).Reason);
        }
        catch (AggregateException e) when (e.Flatten().InnerExceptions.All(i => i is OperationCanceledException))
        {
            stop.ThrowIfCancellationRequested(); // the page has left
        }
        return true;
    }

    /// <summary>Progress told at once and in order, not through a thread pool.</summary>
    private sealed class Told(Action<SizingProgress> tell) : IProgress<SizingProgress>
    {
        public void Report(SizingProgress value) => tell(value);
    }
}
