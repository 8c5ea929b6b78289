using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Vanto.Browser.Tests;

/// <summary>The built server with its interface, as <c>./vanto build</c> leaves it, on a store of its own.</summary>
public sealed class VantoServer : IDisposable
{
    private const string Store = "vanto.db";

    /// <summary>The demo's rigs in a store of their own, filled once: each server that shows them begins with a copy.</summary>
    private static readonly Lazy<string> Filled = new(() =>
    {
        using var first = new VantoServer(["--demo"]);
        first.Kill();
        return CopyOf(first.Folder, Directory.CreateTempSubdirectory("vanto-browser-demo-").FullName);
    });

    private readonly string[] _arguments;
    private Process? _process;

    /// <summary>Starts it, empty or with the demo's rigs.</summary>
    public VantoServer(bool demo = false) : this([], demo ? Filled.Value : null)
    {
    }

    private VantoServer(string[] arguments, string? from = null)
    {
        _arguments = arguments;
        if (from is not null)
            CopyOf(from, Folder);
        using (var probe = new TcpListener(IPAddress.Loopback, 0))
        {
            probe.Start();
            Address = new Uri($"http://127.0.0.1:{((IPEndPoint)probe.LocalEndpoint).Port}");
        }
        Start();
    }

    /// <summary>Where it is.</summary>
    public Uri Address { get; }

    /// <summary>The store's folder.</summary>
    public string Folder { get; } = Directory.CreateTempSubdirectory("vanto-browser-").FullName;

    /// <summary>The root of the checkout.</summary>
    public static string Root
    {
        get
        {
            var folder = AppContext.BaseDirectory;
            while (!File.Exists(Path.Combine(folder, "Vanto.slnx")))
                folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("the tests must run inside the checkout");
            return folder;
        }
    }

    /// <summary>Ends it without warning and starts it again on the same store.</summary>
    public void Restart()
    {
        Kill();
        Start();
    }

    /// <summary>Ends it without warning.</summary>
    public void Kill()
    {
        _process!.Kill();
        _process.WaitForExit();
    }

    /// <inheritdoc />
    public void Dispose()
    {
        Kill();
        _process!.Dispose();
        Directory.Delete(Folder, recursive: true);
    }

    /// <summary>Starts it on its store.</summary>
    public void Start()
    {
        var program = Path.Combine(Root, "artifacts", "server", "Vanto.Web.dll");
        File.Exists(program).ShouldBeTrue("./vanto build comes first");
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true };
        foreach (var argument in (string[])[program, "--store", Path.Combine(Folder, Store), "--port", $"{Address.Port}", .. _arguments])
            start.ArgumentList.Add(argument);
        _process = Process.Start(start)!;
        while (_process.StandardOutput.ReadLine() is { } line)
            if (line.StartsWith("Vanto is at", StringComparison.Ordinal))
                return;
        throw new InvalidOperationException("the server did not start");
    }

    /// <summary>A store that nobody serves, as it lies there: with what its log has not brought in yet.</summary>
    private static string CopyOf(string folder, string into)
    {
        foreach (var file in Directory.EnumerateFiles(folder, $"{Store}*").Where(f => !f.EndsWith(".lock", StringComparison.Ordinal)))
            File.Copy(file, Path.Combine(into, Path.GetFileName(file)));
        return into;
    }
}
