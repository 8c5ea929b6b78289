using MathNet.Numerics.Distributions;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Physics;

/// <summary>A climate as one month after the other: mean daily maximum and minimum, clearness, humidity, wind.</summary>
public sealed record MonthClimate : DesignPart
{
    [Field(QuantityKind.Temperature, -50, 55, Label = "Mean daily maximum")] public double MaxC { get; init; } = 20;
    [Field(QuantityKind.Temperature, -60, 50, Label = "Mean daily minimum")] public double MinC { get; init; } = 10;
    [Field(QuantityKind.Fraction, 0.25, 0.75, Label = "Clearness",
        Help = "share of the sun outside the air that arrives: overcast 30 %, mixed 50 %, desert 70 %")]
    public double Clearness { get; init; } = 0.5;
    [Field(QuantityKind.Percent, 5, 98, Label = "Mean humidity")] public double HumidityPct { get; init; } = 60;
    [Field(QuantityKind.Speed, 0, 20, Label = "Mean wind")] public double WindMs { get; init; } = 3;
}

/// <summary>
/// Plausible hours made from monthly figures and a seed. Definition of this product from named parts; spreads and autocorrelations are common practice.
/// </summary>
public sealed class WeatherGenerator
{
    private static readonly int[] MonthDays = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    private readonly WeatherPlace _place;
    private readonly double _turbidity;
    private readonly double[] _max, _min, _clearness, _humidity, _wind, _sigma;

    /// <summary>Prepares a place with its twelve months.</summary>
    /// <exception cref="InputException">Not twelve months, or a maximum at or below its minimum.</exception>
    public WeatherGenerator(WeatherPlace place, IReadOnlyList<MonthClimate> months, double linkeTurbidity = 3.5)
    {
        if (months.Count != 12)
            throw new InputException("months", $"{months.Count}", "A climate needs twelve months.");
        var errors = months.Select((m, i) => (m, i)).Where(x => x.m.MaxC <= x.m.MinC)
            .Select(x => InputError.Fault($"months[{x.i}].maxC", Phrase.Of($"{x.m.MaxC:Temperature}"),
                Phrase.Of($"month {x.i + 1}: the maximum ({x.m.MaxC:Temperature}) must be above the minimum ({x.m.MinC:Temperature})"))).ToList();
        if (errors.Count > 0)
            throw new InputException(errors);
        _place = place;
        _turbidity = linkeTurbidity;
        _max = Daily([.. months.Select(m => m.MaxC)]);
        _min = Daily([.. months.Select(m => m.MinC)]);
        _clearness = Daily([.. months.Select(m => m.Clearness)]);
        _humidity = Daily([.. months.Select(m => m.HumidityPct)]);
        _wind = Daily([.. months.Select(m => m.WindMs)]);
        _sigma = Daily(Spread([.. months.Select(m => (m.MaxC + m.MinC) / 2)]));
    }

    /// <summary>One day as drawn.</summary>
    public readonly record struct Day(double Clearness, double MaxC, double MinC, double VapourPa, double WindMs);

    /// <summary>Spread of the daily mean by month, K (common practice).</summary>
    public static double[] Spread(double[] monthMeans)
    {
        var (top, bottom) = (monthMeans.Max(), monthMeans.Min());
        return [.. monthMeans.Select(m => 0.8 + 0.03 * (top - bottom) + 0.12 * (top - m))];
    }

    /// <summary>Clearness from sun hours a day (Ångström and Prescott with the FAO-56 defaults, from memory).</summary>
    public static double ClearnessFromSunHours(double sunHours, double dayLength) => 0.25 + 0.50 * sunHours / dayLength;

    /// <summary>Twelve figures as 365 days whose monthly means are the figures (Rymes and Myers 2001, from memory).</summary>
    public static double[] Daily(double[] months)
    {
        var days = new double[365];
        for (int month = 0, day = 0; month < 12; month++)
            for (var i = 0; i < MonthDays[month]; i++)
                days[day++] = months[month];
        var smooth = new double[365];
        for (var pass = 0; pass < 365; pass++)
        {
            for (var d = 0; d < 365; d++)
                smooth[d] = (days[(d + 364) % 365] + days[d] + days[(d + 1) % 365]) / 3;
            for (int month = 0, first = 0; month < 12; first += MonthDays[month++])
            {
                double mean = 0;
                for (var d = first; d < first + MonthDays[month]; d++)
                    mean += smooth[d] / MonthDays[month];
                for (var d = first; d < first + MonthDays[month]; d++)
                    smooth[d] += months[month] - mean;
            }
            (days, smooth) = (smooth, days);
        }
        return days;
    }

    /// <summary>
    /// Clearness of a day at a quantile: distribution of Bendt, Collares-Pereira and Rabl 1981, upper limit of Hollands and Huget 1983 (from memory).
    /// </summary>
    public static (double Gamma, double Most, double Value) Bendt(double mean, double quantile)
    {
        const double least = 0.05;
        var most = 0.6313 + 0.267 * mean - 11.9 * Math.Pow(mean - 0.75, 8);
        var d = most - least;
        double MeanOf(double g) => Math.Abs(g * d) < 1e-6 ? (least + most) / 2 : most - 1 / g + d / (Math.Exp(g * d) - 1);
        var gamma = Roots.OfRising(g => MeanOf(g) - mean, -400, 400, 1e-10);
        return (gamma, most, least + Math.Log(1 + quantile * (Math.Exp(gamma * d) - 1)) / gamma);
    }

    /// <summary>Daily sum on a horizontal plane outside the air, Wh/m², and the sunset angle, radians.</summary>
    public static (double WhM2, double SunsetRad) Extraterrestrial(double latitudeDeg, int dayOfYear)
    {
        var phi = double.DegreesToRadians(latitudeDeg);
        var delta = double.DegreesToRadians(23.45) * Math.Sin(2 * Math.PI * (284 + dayOfYear) / 365);
        var sunset = Math.Acos(Math.Clamp(-Math.Tan(phi) * Math.Tan(delta), -1, 1));
        return (24 / Math.PI * Sun.Extraterrestrial(dayOfYear)
            * (Math.Cos(phi) * Math.Cos(delta) * Math.Sin(sunset) + sunset * Math.Sin(phi) * Math.Sin(delta)), sunset);
    }

    /// <summary>Share of the day's sum that falls in the hour round an hour angle (Collares-Pereira and Rabl 1979, from memory).</summary>
    public static double HourShare(double hourAngleRad, double sunsetRad)
    {
        if (Math.Abs(hourAngleRad) >= sunsetRad)
            return 0;
        var a = 0.409 + 0.5016 * Math.Sin(sunsetRad - Math.PI / 3);
        var b = 0.6609 - 0.4767 * Math.Sin(sunsetRad - Math.PI / 3);
        return Math.PI / 24 * (a + b * Math.Cos(hourAngleRad)) * (Math.Cos(hourAngleRad) - Math.Cos(sunsetRad))
            / (Math.Sin(sunsetRad) - sunsetRad * Math.Cos(sunsetRad));
    }

    /// <summary>Days as drawn, the day before the first and the day after the last included.</summary>
    public Day[] Days(ulong seed, int count, int firstDay = 1)
    {
        var random = new SplitMix64(seed);
        var days = new Day[count + 2];
        double zk = 0, zt = 0;
        for (var i = 0; i < days.Length; i++)
        {
            var d = ((firstDay - 2 + i) % 365 + 365) % 365;
            double e1 = random.Normal(), e2 = random.Normal(), e3 = random.Normal(), u = random.Uniform();
            zk = i == 0 ? e1 : 0.30 * zk + Math.Sqrt(1 - 0.09) * e1;
            zt = i == 0 ? e2 : 0.70 * zt + Math.Sqrt(1 - 0.49) * e2;
            var zr = -0.5 * zk + Math.Sqrt(0.75) * e3;
            var (_, _, clearness) = Bendt(_clearness[d], Normal.CDF(0, 1, zk));
            var range = (_max[d] - _min[d]) * (0.7 + 0.3 * clearness / _clearness[d]);
            var shift = _sigma[d] * zt;
            var mean = (_max[d] + _min[d]) / 2 + shift;
            var humidity = Math.Clamp(_humidity[d] + 8 * zr, 5, 98);
            days[i] = new Day(clearness, mean + range / 2, mean - range / 2, humidity / 100 * MoistAir.SaturationPressure(mean - 0.5 * shift),
                _wind[d] * Math.Sqrt(-Math.Log(1 - u)) * 2 / Math.Sqrt(Math.PI));
        }
        return days;
    }

    /// <summary>Hours of some days.</summary>
    /// <param name="seed">The same seed gives the same weather.</param>
    /// <param name="count">Days, 1 to 366.</param>
    /// <param name="firstDay">Day of the year it begins on.</param>
    public WeatherYear Year(ulong seed, int count = 365, int firstDay = 1)
    {
        var days = Days(seed, count, firstDay);
        var hours = count * 24;
        double[] air = new double[hours], ratio = new double[hours], global = new double[hours], cloud = new double[hours], wind = new double[hours];
        for (var day = 0; day < count; day++)
        {
            var (yesterday, today, tomorrow) = (days[day], days[day + 1], days[day + 2]);
            FillSun(day, firstDay, today.Clearness, global, cloud);
            for (var i = 0; i < 24; i++)
            {
                var h = i + 0.5;
                var (hi, lo) = h < 5 ? (yesterday.MaxC, today.MinC) : h <= 14.5 ? (today.MaxC, today.MinC) : (today.MaxC, tomorrow.MinC);
                var at = day * 24 + i;
                air[at] = hi - DesignDay.Fraction(h) * (hi - lo);
                ratio[at] = MoistAir.HumidityRatio(Math.Min(today.VapourPa, 0.99 * MoistAir.SaturationPressure(air[at])), _place.PressurePa);
                wind[at] = today.WindMs * (1 + 0.35 * Math.Cos(2 * Math.PI * (h - 15) / 24));
            }
        }
        var unknown = new double[hours];
        Array.Fill(unknown, double.NaN);
        return new WeatherYear
        {
            Place = _place,
            FirstDay = firstDay,
            AirC = air,
            HumidityRatio = ratio,
            GlobalWm2 = global,
            DirectWm2 = unknown,
            DiffuseWm2 = unknown,
            Cloud = cloud,
            WindMs = wind,
            SkyC = unknown,
        };
    }

    private void FillSun(int day, int firstDay, double clearness, double[] global, double[] cloud)
    {
        var n = (firstDay - 1 + day) % 365 + 1;
        var (sum, sunset) = Extraterrestrial(_place.LatitudeDeg, n);
        var b = 2 * Math.PI * (n - 1) / 365;
        var equation = 229.2 * (0.000075 + 0.001868 * Math.Cos(b) - 0.032077 * Math.Sin(b) - 0.014615 * Math.Cos(2 * b) - 0.04089 * Math.Sin(2 * b));
        var shift = (4 * (_place.LongitudeDeg - 15 * _place.UtcOffsetH) + equation) / 60;
        var shares = new double[24];
        for (var i = 0; i < 24; i++)
            shares[i] = HourShare(double.DegreesToRadians(15 * (i + 0.5 + shift - 12)), sunset);
        var all = shares.Sum();
        var date = WeatherCalendar.Day(n);
        double clear = 0;
        for (var i = 0; i < 24; i++)
        {
            global[day * 24 + i] = all > 0 ? clearness * sum * shares[i] / all : 0;
            var sun = Sun.Position(WeatherCalendar.Year, date.Month, date.Day, i + 0.5, _place.UtcOffsetH, _place.LatitudeDeg, _place.LongitudeDeg,
                _place.PressurePa);
            clear += Irradiance.ClearSky(sun.ZenithDeg, n, _place.ElevationM, _turbidity).Global;
        }
        var cover = DiffuseSplit.CloudOf(clear <= 0 ? 1 : clearness * sum / clear);
        Array.Fill(cloud, cover, day * 24, 24);
    }
}
