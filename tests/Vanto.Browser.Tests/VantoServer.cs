using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Vanto.Browser.Tests;

/// <summary>The built server with its interface, as <c>./vanto build</c> leaves it, on a store of its own.</summary>
public sealed class VantoServer : IDisposable
{
    private readonly bool _demo;
    private Process? _process;

    /// <summary>Starts it.</summary>
    public VantoServer(bool demo = false)
    {
        _demo = demo;
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
        foreach (var argument in (string[])[program, "--store", Path.Combine(Folder, "vanto.db"), "--port", $"{Address.Port}",
            .. _demo ? ["--demo"] : Array.Empty<string>()])
            start.ArgumentList.Add(argument);
        _process = Process.Start(start)!;
        while (_process.StandardOutput.ReadLine() is { } line)
            if (line.StartsWith("Vanto is at", StringComparison.Ordinal))
                return;
        throw new InvalidOperationException("the server did not start");
    }
}
