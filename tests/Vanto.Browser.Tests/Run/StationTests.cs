namespace Vanto.Browser.Tests.Run;

/// <summary>A station of a demo rig, opened in a browser of its own for each test.</summary>
public abstract class StationTests : IClassFixture<DemoServer>, IDisposable
{
    /// <summary>Opens it.</summary>
    protected StationTests(DemoServer demo, string rig, string station)
    {
        Demo = demo;
        Screen = new Screen(demo.Server.Address);
        Screen.OpenRig(rig, station);
    }

    /// <summary>The server and its folder.</summary>
    protected DemoServer Demo { get; }

    /// <summary>The browser.</summary>
    protected Screen Screen { get; }

    /// <inheritdoc />
    public void Dispose()
    {
        Screen.Dispose();
        GC.SuppressFinalize(this);
    }
}
