namespace Vanto.Core.Physics;

/// <summary>Where weather belongs: standard time of the place.</summary>
public sealed record WeatherPlace(string Name, double LatitudeDeg, double LongitudeDeg, double UtcOffsetH, double ElevationM)
{
    /// <summary>Pressure of the standard atmosphere there, Pa.</summary>
    public double PressurePa => Atmosphere.Pressure(ElevationM);
}

/// <summary>
/// Hourly weather from a first day of the year on; values stand for the middle of each hour. °C, kg/kg, W/m², m/s; cloud 0 to 1.
/// Direct and diffuse are NaN where only the global irradiance is known; the sky temperature is NaN where the cloud gives it.
/// </summary>
public sealed record WeatherYear
{
    public required WeatherPlace Place { get; init; }
    public required int FirstDay { get; init; }
    public required double[] AirC { get; init; }
    public required double[] HumidityRatio { get; init; }
    public required double[] GlobalWm2 { get; init; }
    public required double[] DirectWm2 { get; init; }
    public required double[] DiffuseWm2 { get; init; }
    public required double[] Cloud { get; init; }
    public required double[] WindMs { get; init; }
    public required double[] SkyC { get; init; }

    /// <summary>Number of hours.</summary>
    public int Hours => AirC.Length;

    /// <summary>Global irradiation of the whole, kWh/m².</summary>
    public double GlobalKWhM2 => GlobalWm2.Sum() / 1000;

    /// <summary>Some days of it, going on with its first after its last.</summary>
    /// <param name="dayOfYear">First of them, 1 to 365.</param>
    /// <param name="count">How many.</param>
    /// <exception cref="Findings.InputException">The weather has no such day.</exception>
    public WeatherYear Days(int dayOfYear, int count)
    {
        var first = (dayOfYear - FirstDay + 365) % 365;
        var days = Hours / 24;
        if (first >= days || days < 365 && first + count > days)
            throw new Findings.InputException("dayOfYear", $"{count} days from day {dayOfYear} of the year",
                $"the weather has only {days} days, from day {FirstDay} of the year");
        double[] Cut(double[] series) => [.. Enumerable.Range(0, count * 24).Select(h => series[(first * 24 + h) % (days * 24)])];
        return new WeatherYear
        {
            Place = Place,
            FirstDay = dayOfYear,
            AirC = Cut(AirC),
            HumidityRatio = Cut(HumidityRatio),
            GlobalWm2 = Cut(GlobalWm2),
            DirectWm2 = Cut(DirectWm2),
            DiffuseWm2 = Cut(DiffuseWm2),
            Cloud = Cut(Cloud),
            WindMs = Cut(WindMs),
            SkyC = Cut(SkyC),
        };
    }

    /// <summary>Steps of a length that divides an hour, air and humidity linear between hour middles, each hour's sun kept.</summary>
    /// <param name="stepS">Seconds, a divisor of 3600.</param>
    public WeatherMoment[] Steps(int stepS)
    {
        var perHour = 3600 / stepS;
        var moments = new WeatherMoment[Hours * perHour];
        var dew = new double[Hours];
        for (var hour = 0; hour < Hours; hour++)
            dew[hour] = MoistAir.DewPoint(HumidityRatio[hour], Place.PressurePa);
        Parallel.For(0, (Hours + 23) / 24, day => FillDay(day, perHour, dew, moments));
        return moments;
    }

    private void FillDay(int day, int perHour, double[] dew, WeatherMoment[] moments)
    {
        var date = WeatherCalendar.Day(FirstDay + day);
        var extraterrestrial = Sun.Extraterrestrial(date.DayOfYear);
        var suns = new SunAngles[perHour];
        for (var hour = day * 24; hour < Math.Min(Hours, day * 24 + 24); hour++)
        {
            double mean = 0;
            for (var k = 0; k < perHour; k++)
            {
                suns[k] = Sun.Position(WeatherCalendar.Year, date.Month, date.Day, hour % 24 + (k + 0.5) / perHour, Place.UtcOffsetH, Place.LatitudeDeg,
                    Place.LongitudeDeg, Place.PressurePa);
                mean += extraterrestrial * Math.Max(0, Math.Cos(double.DegreesToRadians(suns[k].ZenithDeg))) / perHour;
            }
            var clearness = mean < 1 ? 0 : GlobalWm2[hour] / mean;
            for (var k = 0; k < perHour; k++)
                moments[hour * perHour + k] = Moment(hour, (k + 0.5) / perHour, suns[k], clearness, extraterrestrial, dew);
        }
    }

    private WeatherMoment Moment(int hour, double into, in SunAngles sun, double clearness, double extraterrestrial, double[] dew)
    {
        var (low, high, share) = into < 0.5 ? (Math.Max(0, hour - 1), hour, into + 0.5) : (hour, Math.Min(Hours - 1, hour + 1), into - 0.5);
        double Between(double[] series) => series[low] + (series[high] - series[low]) * share;
        var air = Between(AirC);
        var cos = Math.Max(0, Math.Cos(double.DegreesToRadians(sun.ZenithDeg)));
        var global = clearness * extraterrestrial * cos;
        var sky = double.IsNaN(DirectWm2[hour]) ? DiffuseSplit.Split(global, cos, extraterrestrial) : Measured(hour, global, cos);
        var skyC = double.IsNaN(SkyC[hour]) ? SkyLongWave.SkyTemperature(air, Between(dew), Cloud[hour]) : Between(SkyC);
        return new WeatherMoment(air, Between(HumidityRatio), Between(dew), sun, sky, skyC, extraterrestrial);
    }

    /// <summary>The hour's own share of diffuse sun, kept within the hour.</summary>
    private SkyIrradiance Measured(int hour, double global, double cos)
    {
        if (cos < 0.01 || global <= 0)
            return new SkyIrradiance(global, 0, global);
        var diffuse = global * Math.Clamp(DiffuseWm2[hour] / Math.Max(1e-9, GlobalWm2[hour]), 0, 1);
        return new SkyIrradiance(global, (global - diffuse) / cos, diffuse);
    }
}

/// <summary>The design day that a year of weather suggests, °C.</summary>
/// <param name="HottestC">Dry bulb exceeded in 0.4 % of the hours.</param>
/// <param name="NightC">Mean of the lows of the days that reach it.</param>
/// <param name="ColdestC">Dry bulb not reached in 0.4 % of the hours.</param>
/// <remarks>0.4 % and 99.6 % of the hours: common practice of design days.</remarks>
public sealed record WeatherDesignDay(double HottestC, double NightC, double ColdestC)
{
    private const double DesignShare = 0.004;
    private const int HoursADay = 24;

    /// <summary>Of a year, rounded to a tenth of a kelvin.</summary>
    public static WeatherDesignDay Of(WeatherYear year)
    {
        var sorted = year.AirC.Order().ToArray();
        var hottest = sorted[(int)((1 - DesignShare) * (sorted.Length - 1))];
        var days = year.AirC.Chunk(HoursADay).Where(day => day.Length == HoursADay && day.Max() >= hottest).ToList();
        var night = days.Count == 0 ? sorted[0] : days.Average(day => day.Min());
        return new WeatherDesignDay(Math.Round(hottest, 1), Math.Round(night, 1), Math.Round(sorted[(int)(DesignShare * (sorted.Length - 1))], 1));
    }
}
