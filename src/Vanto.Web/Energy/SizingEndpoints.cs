using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Threading.Channels;
using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Job;

namespace Vanto.Web.Energy;

/// <summary>The search for the smallest kit, as a stream of events: progress, then the result or a fault. Closing the stream stops the search.</summary>
public static class SizingEndpoints
{
    /// <summary>Maps the search of a rig.</summary>
    public static void MapSizing(this RouteGroupBuilder api) =>
        api.MapGet("/rigs/{id:guid}/sizing", Search).WithTags("energy").Produces<SizingResult>(contentType: "text/event-stream").Produces(StatusCodes.Status404NotFound);

    private static async Task<IResult> Search(Guid id, RigDesk desk, HttpContext http) => await desk.View(id) is { } view
        ? TypedResults.ServerSentEvents(Events(view, http.RequestAborted))
        : TypedResults.NotFound();

    private static async IAsyncEnumerable<SseItem<string>> Events(RigView view, [EnumeratorCancellation] CancellationToken stop)
    {
        var channel = Channel.CreateUnbounded<SseItem<string>>();
        var work = Task.Run(() => Work(view, channel.Writer, stop), stop);
        await foreach (var item in channel.Reader.ReadAllAsync(stop))
            yield return item;
        await work;
    }

    private static void Work(RigView view, ChannelWriter<SseItem<string>> writer, CancellationToken stop)
    {
        void Say<T>(string name, T value) => writer.TryWrite(new SseItem<string>(JsonSerializer.Serialize(value, JobFile.Json), name));
        try
        {
            if (KitSearchOf.Rig(view.Design) is not { } search)
                throw new InputException("unit", "", "The stations before Energy have a fault; mend it first.");
            Say("result", search(new Told(p => Say("progress", p)), stop));
        }
        catch (InputException e)
        {
            Say("fault", e.Errors[0].Reason);
        }
        catch (OperationCanceledException)
        {
            // Nobody listens any more.
        }
        finally
        {
            writer.Complete();
        }
    }

    /// <summary>Progress told at once and in order, not through a thread pool.</summary>
    private sealed class Told(Action<SizingProgress> tell) : IProgress<SizingProgress>
    {
        public void Report(SizingProgress value) => tell(value);
    }
}
