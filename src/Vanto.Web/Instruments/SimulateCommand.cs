using System.Globalization;
using System.Text.Json.Nodes;
using Vanto.Core.Instruments;
using Vanto.Core.Quantities;

namespace Vanto.Web.Instruments;

/// <summary>Begins simulated instruments at a rig of a Vanto that runs on this machine: <c>simulate RIG SCENE [--rate N] [--port N]</c>.</summary>
public static class SimulateCommand
{
    private const int UsualPort = 5080;
    private const double UsualRate = 60;

    /// <summary>Does it; 0 where it began.</summary>
    public static async Task<int> Run(string[] args)
    {
        var options = new ConfigurationBuilder().AddCommandLine([.. args.SkipWhile(a => !a.StartsWith("--", StringComparison.Ordinal))]).Build();
        var named = args.TakeWhile(a => !a.StartsWith("--", StringComparison.Ordinal)).ToList();
        if (named.Count < 2 || !Enum.TryParse<SceneKind>(named[^1], true, out var scene))
        {
            Console.Error.WriteLine("simulate RIG SCENE [--rate N] [--port N]; scenes are");
            foreach (var kind in Enum.GetValues<SceneKind>())
                Console.Error.WriteLine($"  {kind,-18} {Calls.Name(kind)}");
            return 1;
        }
        if (!double.TryParse(options["rate"] ?? $"{UsualRate}", CultureInfo.InvariantCulture, out var rate)
            || !int.TryParse(options["port"] ?? $"{UsualPort}", CultureInfo.InvariantCulture, out var port))
        {
            Console.Error.WriteLine("--rate and --port are numbers.");
            return 1;
        }
        var name = string.Join(' ', named.SkipLast(1));
        using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        try
        {
            var rigs = JsonNode.Parse(await http.GetStringAsync("/api/rigs"))!.AsArray();
            if (rigs.FirstOrDefault(r => string.Equals((string?)r!["name"], name, StringComparison.OrdinalIgnoreCase)) is not { } rig)
            {
                Console.Error.WriteLine($"There is no rig \"{name}\"; there are {string.Join(", ", rigs.Select(r => r!["name"]))}.");
                return 1;
            }
            var begun = await http.PostAsJsonAsync($"/api/rigs/{rig["id"]}/instruments/scene",
                new { scene = $"{char.ToLowerInvariant($"{scene}"[0])}{$"{scene}"[1..]}", rate, seed = 1 });
            if (!begun.IsSuccessStatusCode)
            {
                Console.Error.WriteLine((string?)JsonNode.Parse(await begun.Content.ReadAsStringAsync())!["detail"]);
                return 1;
            }
            Console.WriteLine($"{Calls.Name(scene)} plays at {name}, {rate:0} simulated seconds in a second: http://127.0.0.1:{port}/rig/{rig["id"]}"
                + "/commission/instruments");
            return 0;
        }
        catch (HttpRequestException)
        {
            Console.Error.WriteLine($"No Vanto answers at port {port}: start it with ./vanto demo or ./vanto run, or name its --port.");
            return 1;
        }
    }
}
