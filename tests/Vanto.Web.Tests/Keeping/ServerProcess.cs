using System.Diagnostics;
using System.Text;

namespace Vanto.Web.Tests.Keeping;

/// <summary>The server as a process of its own, to be killed.</summary>
public sealed class ServerProcess : IDisposable
{
    private readonly Process _process;

    private ServerProcess(Process process, HttpClient http, string output)
    {
        _process = process;
        Http = http;
        Output = output;
    }

    /// <summary>Of the process.</summary>
    public int Id => _process.Id;

    /// <summary>Asks it.</summary>
    public HttpClient Http { get; }

    /// <summary>What it printed until it was ready.</summary>
    public string Output { get; }

    /// <summary>Starts it on a store and waits for the line that names its address.</summary>
    public static Task<ServerProcess> Start(string store, int? port = null, params string[] more) =>
        Started(["--store", store, .. more], port, new Dictionary<string, string>());

    /// <summary>The same with arguments and an environment of its own.</summary>
    public static async Task<ServerProcess> Started(IEnumerable<string> arguments, int? port, IReadOnlyDictionary<string, string> environment)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var argument in (string[])[typeof(Server).Assembly.Location, .. arguments, "--port", $"{port ?? Random.Shared.Next(20000, 60000)}"])
            start.ArgumentList.Add(argument);
        foreach (var (name, value) in environment)
            start.Environment[name] = value;
        var process = Process.Start(start)!;
        var printed = new StringBuilder();
        while (await process.StandardOutput.ReadLineAsync() is { } line)
        {
            printed.AppendLine(line);
            const string at = "Vanto is at ";
            if (line.StartsWith(at, StringComparison.Ordinal))
                return new ServerProcess(process, new HttpClient { BaseAddress = new Uri(line[at.Length..]) }, printed.ToString());
        }
        throw new InvalidOperationException(printed + await process.StandardError.ReadToEndAsync());
    }

    /// <summary>Kills it without warning.</summary>
    public void Kill()
    {
        _process.Kill();
        _process.WaitForExit();
    }

    /// <inheritdoc />
    public void Dispose()
    {
        if (!_process.HasExited)
            Kill();
        Http.Dispose();
        _process.Dispose();
    }
}
