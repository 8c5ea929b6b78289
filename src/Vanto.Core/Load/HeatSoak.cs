using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>
/// A pull-down: minutes to the set-point (null where it is not reached), humidity and temperatures at its end, and the way there minute by minute.
/// </summary>
public sealed record PullDownResult(double StartC, double? Minutes, double RelativeHumidityPct, double MassC, double AirC, double[] AirByMinuteC,
    double[] HumidityByMinutePct);

/// <summary>What happens when nothing cools, when cooling begins, and when it ends. Minutes and °C.</summary>
public sealed class HeatSoak
{
    /// <summary>Pull-down is given up after six hours.</summary>
    public const int LimitMinutes = 360;

    /// <summary>A held space is watched for twelve hours after its unit stops.</summary>
    public const int HoldLimitMinutes = 720;

    private const double SettledK = 0.01;
    private const int MostDays = 200;

    private readonly SpaceDescription _space;
    private readonly SpaceDrivers _drivers;
    private readonly int _stepS;
    private readonly ThermalSpace[] _soaked;

    /// <summary>Lets the closed-up space float through its design day, nobody in and nothing on, until the days repeat.</summary>
    /// <param name="space">The space.</param>
    /// <param name="day">Its design day.</param>
    /// <param name="films">How its surfaces exchange heat with the air.</param>
    public HeatSoak(SpaceDescription space, WeatherMoment[] day, Films films = Films.Apart) : this(space, SpaceDrivers.Build(space, day), films) { }

    /// <summary>The same from drivers prepared already.</summary>
    public HeatSoak(SpaceDescription space, SpaceDrivers drivers, Films films = Films.Apart)
    {
        _space = space;
        _drivers = drivers;
        _stepS = 86400 / drivers.Steps;
        var model = new ThermalSpace(space);
        model.Prepare(_stepS);
        model.Rest(drivers, null, sunOnly: true);
        var free = new FreeFloat(space);
        free.Prepare(_stepS);
        free.CopyStateFrom(model);
        var settled = false;
        for (var repeat = 0; repeat < MostDays && !settled; repeat++)
        {
            var before = films == Films.Apart ? free.MassC : model.MassC;
            for (var k = 0; k < drivers.Steps; k++)
                Float(k);
            settled = Math.Abs((films == Films.Apart ? free.MassC : model.MassC) - before) <= SettledK;
        }
        AirC = new double[drivers.Steps];
        _soaked = new ThermalSpace[24];
        for (var k = 0; k < drivers.Steps; k++)
        {
            if (k % (drivers.Steps / 24) == 0)
            {
                var soaked = _soaked[k * 24 / drivers.Steps] = new ThermalSpace(space);
                if (films == Films.Apart)
                    free.CopyStateTo(soaked);
                else
                    soaked.CopyStateFrom(model);
            }
            Float(k);
            AirC[k] = films == Films.Apart ? free.AirC : model.AirC;
        }

        void Float(int k)
        {
            var (convective, radiant) = (GainShares.SunConvective * drivers.GlassSunW[k], GainShares.SunRadiant * drivers.GlassSunW[k]);
            if (films == Films.Apart)
            {
                free.Step(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
                return;
            }
            model.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
            model.End(model.HubB / model.HubA);
        }
    }

    /// <summary>Air at the end of each step of the soaked day.</summary>
    public double[] AirC { get; }

    /// <summary>Highest soaked air and its hour.</summary>
    public (double AirC, double Hour) Peak
    {
        get
        {
            var at = Array.IndexOf(AirC, AirC.Max());
            return (AirC[at], (at + 1.0) * _stepS / 3600);
        }
    }

    /// <summary>Soaked air at an hour.</summary>
    public double At(int hour) => _soaked[hour].AirC;

    /// <summary>Cools the soaked space from an hour on.</summary>
    /// <param name="fromHour">Hour of the day, 0 to 23.</param>
    /// <param name="capacityW">Cooling at outdoor temperature and indoor wet bulb.</param>
    /// <param name="airFlowM3s">Of the indoor fan.</param>
    /// <param name="coil">Air temperature, humidity ratio, cooling, flow → dry cooling W, air that touches the wet coil kg/s, humidity ratio there.</param>
    public PullDownResult PullDown(int fromHour, Func<double, double, double> capacityW, double airFlowM3s,
        Func<double, double, double, double, (double SensibleW, double WetKgS, double Ratio)> coil)
    {
        const int step = 60;
        var model = new ThermalSpace(_space);
        model.Prepare(step);
        model.CopyStateFrom(_soaked[fromHour]);
        var pressure = _space.Weather.PressurePa;
        var first = fromHour * 3600 / _stepS;
        var moisture = _space.Moisture(_drivers.OutdoorRatio[first]);
        var start = model.AirC;
        var (air, humidity) = (new List<double>(), new List<double>());
        for (var minute = 0; minute < LimitMinutes; minute++)
        {
            var k = (first + minute * step / _stepS) % _drivers.Steps;
            var (convective, radiant) = _drivers.GainSplit(k);
            model.Begin(_drivers.At(k), _drivers.OutdoorC[k], convective, radiant);
            moisture.Begin(_drivers.OutdoorRatio[k], _drivers.LatentW(k));
            var wet = Math.Clamp(MoistAir.WetBulb(model.AirC, moisture.Ratio, pressure), 12, 28);
            var (sensible, wetKgS, coilRatio) = coil(model.AirC, moisture.Ratio, capacityW(_drivers.OutdoorC[k], wet), airFlowM3s);
            model.End((model.HubB - sensible) / model.HubA);
            moisture.End(step, model.AirC, wetKgS, coilRatio);
            air.Add(model.AirC);
            humidity.Add(model.AirC > MoistAir.HottestC ? 0 : MoistAir.RelativeHumidity(model.AirC, moisture.Ratio, pressure));
            if (model.AirC <= _space.SetpointC)
                return new PullDownResult(start, minute + 1, humidity[^1], model.MassC, model.AirC, [.. air], [.. humidity]);
        }
        return new PullDownResult(start, null, humidity[^1], model.MassC, model.AirC, [.. air], [.. humidity]);
    }

    /// <summary>Minutes until the held space reaches temperatures once the unit stops; null where it does not within twelve hours.</summary>
    /// <param name="space">The space.</param>
    /// <param name="drivers">Its design day.</param>
    /// <param name="settled">State at midnight of the held day.</param>
    /// <param name="fromHour">Hour at which the unit stops.</param>
    /// <param name="limitsC">Temperatures asked.</param>
    /// <param name="convectionWm2K">Convection inside, the fan off; null takes one film to the air for convection and radiation together.</param>
    public static double?[] HoldTime(SpaceDescription space, SpaceDrivers drivers, ThermalSpace settled, int fromHour, IReadOnlyList<double> limitsC,
        double? convectionWm2K)
    {
        const int step = 60;
        var stepS = 86400 / drivers.Steps;
        var held = new ThermalSpace(space);
        held.Prepare(stepS);
        held.CopyStateFrom(settled);
        var first = fromHour * 3600 / stepS;
        for (var k = 0; k < first; k++)
        {
            var (convective, radiant) = drivers.GainSplit(k);
            held.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
            held.End(space.SetpointC);
        }
        var model = new ThermalSpace(space);
        model.Prepare(step);
        model.CopyStateFrom(held);
        var free = new FreeFloat(space, convectionWm2K ?? FreeFloat.StillAirWm2K);
        free.Prepare(step);
        free.CopyStateFrom(held);
        var reached = new double?[limitsC.Count];
        for (var minute = 0; minute < HoldLimitMinutes && reached.Any(r => r is null); minute++)
        {
            var k = (first + minute * step / stepS) % drivers.Steps;
            var (convective, radiant) = drivers.GainSplit(k);
            if (convectionWm2K is not null)
            {
                free.Step(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
            }
            else
            {
                model.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
                model.End(model.HubB / model.HubA);
            }
            var air = convectionWm2K is null ? model.AirC : free.AirC;
            for (var i = 0; i < reached.Length; i++)
                if (reached[i] is null && air >= limitsC[i])
                    reached[i] = minute + 1;
        }
        return reached;
    }

    /// <summary>The least and the longest minutes over what convection with the fan off may be; the least is what animals and people depend on.</summary>
    /// <param name="space">The space.</param>
    /// <param name="drivers">Its design day.</param>
    /// <param name="settled">State at midnight of the held day.</param>
    /// <param name="fromHour">Hour at which the unit stops.</param>
    /// <param name="limitsC">Temperatures asked.</param>
    public static IReadOnlyList<HoldMinutes> SafeTimes(SpaceDescription space, SpaceDrivers drivers, ThermalSpace settled, int fromHour,
        params double[] limitsC)
    {
        double[] tried = [FreeFloat.LeastConvection, FreeFloat.StillAirWm2K, FreeFloat.MostConvection];
        var runs = tried.Select(h => HoldTime(space, drivers, settled, fromHour, limitsC, h)).ToList();
        return [.. limitsC.Select((limit, i) => new HoldMinutes(limit, runs.Min(r => r[i]), runs.Any(r => r[i] is null) ? null : runs.Max(r => r[i])))];
    }

    /// <summary>Peak air of a design day with limited sensible cooling, its hour, and hours above the set-point by half a kelvin.</summary>
    /// <param name="space">The space.</param>
    /// <param name="drivers">Its design day.</param>
    /// <param name="sensibleW">Sensible cooling by outdoor temperature.</param>
    public static (double PeakC, double Hour, double HoursAbove) PeakIndoorWithCapacity(SpaceDescription space, SpaceDrivers drivers,
        Func<double, double> sensibleW)
    {
        var model = new ThermalSpace(space);
        model.Prepare(86400.0 / drivers.Steps);
        model.Reset(space.SetpointC);
        var nodes = new double[model.NodeCount];
        for (var repeat = 0; repeat < MostDays; repeat++)
        {
            for (var k = 0; k < drivers.Steps; k++)
                Limited(k);
            if (model.SwapSnapshot(nodes) <= SettledK)
                break;
        }
        double peak = double.MinValue, hour = 0, above = 0;
        for (var k = 0; k < drivers.Steps; k++)
        {
            Limited(k);
            if (model.AirC > peak)
                (peak, hour) = (model.AirC, (k + 1) * 24.0 / drivers.Steps);
            above += model.AirC > space.SetpointC + 0.5 ? 24.0 / drivers.Steps : 0;
        }
        return (peak, hour, above);

        void Limited(int k)
        {
            var (convective, radiant) = drivers.GainSplit(k);
            model.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
            var wanted = model.HubB - model.HubA * space.SetpointC;
            // Between set-points the load may be negative: it is held, as the design day holds it.
            model.End((model.HubB - Math.Min(wanted, sensibleW(drivers.OutdoorC[k]))) / model.HubA);
        }
    }
}
