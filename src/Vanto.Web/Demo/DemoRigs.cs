namespace Vanto.Web.Demo;

/// <summary>Fills an empty store with the demo.</summary>
public static class DemoRigs
{
    /// <summary>Adds the demo rigs where there are none yet.</summary>
    public static Task Fill(IServiceProvider services) => Task.CompletedTask;
}
