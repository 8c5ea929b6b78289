using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Vanto.Core.Job;
using Vanto.Storage;

namespace Vanto.Web.Tests;

/// <summary>The real server on a free port with a store file of its own.</summary>
public class RunningServer : IAsyncLifetime
{
    private WebApplication? _app;

    /// <summary>The stations it runs.</summary>
    protected virtual StationRegistry Stations => StationRegistry.Standard;

    /// <summary>The clock that it looks at.</summary>
    protected virtual TimeProvider Clock => TimeProvider.System;

    /// <summary>The store's file.</summary>
    public string Store { get; } = Path.Combine(Directory.CreateTempSubdirectory("vanto-web-").FullName, "vanto.db");

    /// <summary>Asks this server.</summary>
    public HttpClient Http { get; private set; } = new();

    /// <summary>Its services.</summary>
    public IServiceProvider Services => _app!.Services;

    public async Task InitializeAsync()
    {
        StoreFile.Prepare(Store);
        _app = Server.Build(new WebApplicationOptions(), Store, 0, Stations, Clock);
        await _app.StartAsync();
        Http = new HttpClient { BaseAddress = new Uri(_app.Urls.First()) };
    }

    public async Task DisposeAsync()
    {
        Http.Dispose();
        await _app!.DisposeAsync();
        Directory.Delete(Path.GetDirectoryName(Store)!, recursive: true);
    }

    /// <summary>Begins a rig and returns the view of it.</summary>
    public async Task<JsonNode> Begin(string name = "Wagtail", string kind = "van") =>
        await Read(await Http.PostAsJsonAsync("/api/rigs", new { name, kind }), HttpStatusCode.Created);

    /// <summary>Changes fields of a rig.</summary>
    public Task<HttpResponseMessage> Patch(string id, int revision, object[] changes, string client = "tab-1", string units = "metric") =>
        Http.PatchAsJsonAsync($"/api/rigs/{id}", new { baseRevision = revision, client, units, decimalComma = false, changes });

    /// <summary>One field changed by typed text.</summary>
    public static object Typed(string path, string text) => new { path, text };

    /// <summary>One field changed by value.</summary>
    public static object Set(string path, object? value) => new { path, value };

    /// <summary>The answer's JSON; fails when the status is another.</summary>
    public static async Task<JsonNode> Read(HttpResponseMessage response, HttpStatusCode expected = HttpStatusCode.OK)
    {
        var text = await response.Content.ReadAsStringAsync();
        response.StatusCode.ShouldBe(expected, text[..Math.Min(600, text.Length)]);
        return JsonNode.Parse(text)!;
    }

    /// <summary>The rig as the server has it.</summary>
    public async Task<JsonNode> View(string id) => await Read(await Http.GetAsync($"/api/rigs/{id}"));

    /// <summary>A design as the server writes it.</summary>
    public static JobDesign Design(JsonNode view) => view["design"]!.Deserialize<JobDesign>(JobFile.Json)!;
}

/// <summary>Shorthand for answers.</summary>
internal static class Answers
{
    public static string Id(this JsonNode view) => (string)view["id"]!;

    public static int Revision(this JsonNode view) => (int)view["revision"]!;

    public static double Number(this JsonNode node, string path) => (double)DesignPath.Get(node, path)!;

    public static string Text(this JsonNode node, string path) => (string)DesignPath.Get(node, path)!;
}
