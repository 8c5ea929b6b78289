using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>A run through hourly weather: hourly means, W and °C; index 0 is the first hour.</summary>
public sealed class YearResult(int hours)
{
    public double[] SensibleW { get; } = new double[hours];
    public double[] LatentW { get; } = new double[hours];
    public double[] HeatingW { get; } = new double[hours];
    public double[] IndoorC { get; } = new double[hours];
    public double[] OutdoorC { get; } = new double[hours];

    /// <summary>Hours that need cooling.</summary>
    public int CoolingHours => SensibleW.Count(w => w > 0);

    /// <summary>Sensible cooling of the whole, kWh.</summary>
    public double SensibleKWh => SensibleW.Sum() / 1000;

    /// <summary>Latent cooling of the whole, kWh.</summary>
    public double LatentKWh => LatentW.Sum() / 1000;

    /// <summary>Heating of the whole, kWh.</summary>
    public double HeatingKWh => HeatingW.Sum() / 1000;

    /// <summary>Largest hourly cooling, sensible and latent, W.</summary>
    public double PeakW => Enumerable.Range(0, SensibleW.Length).Max(h => SensibleW[h] + LatentW[h]);

    /// <summary>Total cooling of an hour, W.</summary>
    public double TotalW(int hour) => SensibleW[hour] + LatentW[hour];
}

/// <summary>
/// How often and how hard a space must be cooled and heated through a year of weather: held between two set-points, free between them.
/// Films stay those of the summer wind; hourly means are kept, not steps.
/// </summary>
public sealed class YearRun
{
    private readonly SpaceDescription _space;
    private readonly SpaceDrivers _drivers;
    private readonly int _stepS;

    /// <summary>Prepares weather and sun.</summary>
    /// <param name="space">The space; its heading, set-point and humidity hold.</param>
    /// <param name="weather">Hourly weather that begins at midnight.</param>
    /// <param name="stepS">Seconds a step, a divisor of 3600.</param>
    public YearRun(SpaceDescription space, WeatherYear weather,
        int stepS = 900) : this(space, SpaceDrivers.Build(space, weather.Steps(stepS), stepS), stepS) { }

    /// <summary>The same from drivers prepared already.</summary>
    public YearRun(SpaceDescription space, SpaceDrivers drivers, int stepS)
    {
        _space = space;
        _drivers = drivers;
        _stepS = stepS;
    }

    /// <summary>Runs it.</summary>
    /// <param name="heatingC">Set-point of heating, below that of cooling.</param>
    /// <param name="cool">False leaves the space to itself in the heat.</param>
    public YearResult Run(double heatingC = 20, bool cool = true)
    {
        var model = new ThermalSpace(_space, _ => 0.13);
        model.Prepare(_stepS);
        model.Reset((_space.SetpointC + heatingC) / 2);
        var perHour = 3600 / _stepS;
        var result = new YearResult(_drivers.Steps / perHour);
        var exchange = _space.InfiltrationKgS * MoistAir.VaporisationJPerKg;
        var coolingC = cool ? _space.SetpointC : double.PositiveInfinity;
        for (int step = 0, hour = 0; hour < result.IndoorC.Length; hour++)
        {
            double sensible = 0, latent = 0, heating = 0, indoor = 0;
            for (var k = 0; k < perHour; k++, step++)
            {
                var (convective, radiant) = _drivers.GainSplit(step);
                model.Begin(_drivers.At(step), _drivers.OutdoorC[step], convective, radiant);
                var free = model.HubB / model.HubA;
                var air = Math.Clamp(free, heatingC, coolingC);
                var power = model.HubA * air - model.HubB;
                model.End(air);
                indoor += air;
                if (power < -1e-9)
                {
                    sensible -= power;
                    latent += Math.Max(0,
                        exchange * (_drivers.OutdoorRatio[step] - _space.SetpointRatio) + _drivers.PeopleLatentW[step] + _drivers.ApplianceLatentW[step]);
                }
                else
                {
                    heating += Math.Max(0, power);
                }
            }
            result.SensibleW[hour] = sensible / perHour;
            result.LatentW[hour] = latent / perHour;
            result.HeatingW[hour] = heating / perHour;
            result.IndoorC[hour] = indoor / perHour;
            result.OutdoorC[hour] = _drivers.OutdoorC[hour * perHour + perHour / 2];
        }
        return result;
    }
}
