using Vanto.Core.Physics;
using Vanto.Core.Survey;

namespace Vanto.Core.Load;

/// <summary>A surveyed rig on its design day, ready for runs in time: its space, weather and drivers by step, and a model settled at the set-point.</summary>
public sealed record RigDay(SpaceDescription Space, WeatherMoment[] Weather, SpaceDrivers Drivers, ThermalSpace Settled)
{
    /// <summary>Step of load runs, s.</summary>
    public const int StepS = 300;

    public int Seconds => (int)Math.Round(Drivers.StepS);

    /// <summary>A row of weather in place of the repeating day, begun from the set-point.</summary>
    /// <param name="space">The space.</param>
    /// <param name="weather">Steps that begin at midnight.</param>
    /// <param name="stepS">Seconds a step.</param>
    public static RigDay Through(SpaceDescription space, WeatherMoment[] weather, int stepS)
    {
        var model = new ThermalSpace(space);
        model.Prepare(stepS);
        model.Reset(space.SetpointC);
        return new RigDay(space, weather, SpaceDrivers.Build(space, weather, stepS), model);
    }

    /// <summary>The same day under a cloudy sky: a share of its sun is left.</summary>
    public RigDay UnderCloud(double sunShare)
    {
        var weather =
            Array.ConvertAll(Weather, m => m with { Sky = new SkyIrradiance(m.Sky.Global * sunShare, m.Sky.Direct * sunShare, m.Sky.Diffuse * sunShare) });
        return this with { Weather = weather, Drivers = SpaceDrivers.Build(Space, weather) };
    }

    /// <summary>Solves the held day of a rig.</summary>
    public static (RigDay Day, LoadDay Load) Of(SurveyDesign survey, LoadDesign design)
    {
        var space = SurveyedSpace.Build(survey, design.SetpointC, design.HumidityPct);
        var weather = DesignDay.Steps(space.Weather, StepS);
        var drivers = SpaceDrivers.Build(space, weather);
        var (load, settled) = DesignCoolingLoad.Solve(space, drivers);
        return (new RigDay(space, weather, drivers, settled), load);
    }
}
