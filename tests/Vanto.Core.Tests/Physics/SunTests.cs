using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Physics;

public class SunTests
{
    /// <summary>The published worked example of the NREL solar position algorithm (Reda and Andreas 2003).</summary>
    [Fact]
    public void The_published_example()
    {
        var sun = Sun.Position(2003, 10, 17, 12 + 30.5 / 60, -7, 39.742476, -105.1786, 82000, 11, 67);
        sun.ZenithDeg.ShouldBe(50.11162, 0.01);
        sun.AzimuthDeg.ShouldBe(194.34024, 0.01);
    }

    /// <summary>Reference library: suncalc 2.0.2, 400 instants 1990 to 2059, latitudes to 65°; above 10° both refract nearly alike.</summary>
    [Fact]
    public void Agrees_with_the_reference_library()
    {
        var compared = 0;
        foreach (var row in ReferenceTable.Read("suncalc.csv").Where(r => r["elevationDeg"] > 10))
        {
            var sun = Sun.Position((int)row["year"], (int)row["month"], (int)row["day"], row["hourUtc"], 0, row["latitude"], row["longitude"]);
            sun.ElevationDeg.ShouldBe(row["elevationDeg"], 0.02);
            var turn = (sun.AzimuthDeg - row["azimuthDeg"] + 540) % 360 - 180;
            (turn * Math.Cos(sun.ElevationDeg * Math.PI / 180)).ShouldBe(0, 0.02);
            compared++;
        }
        compared.ShouldBeGreaterThan(100);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(7, 21, 15.0, -7, 34.2, -114.0, 33.3625, 254.3384)]
    [InlineData(6, 21, 12.0, 0, 51.5, 0, 28.0566, 179.0829)]
    [InlineData(12, 21, 9.0, 10, -33.9, 151.2, 39.0708, 86.1420)]
    [InlineData(7, 21, 19.0, -6, 30.2, -92.5, 88.4535, 292.8507)]
    [InlineData(3, 20, 6.2, -4, 17.9, -62.6, 91.3780, 89.5319)]
    public void Places(int month, int day, double hour, double offset, double latitude, double longitude, double zenith, double azimuth)
    {
        var sun = Sun.Position(2025, month, day, hour, offset, latitude, longitude);
        sun.ZenithDeg.ShouldBe(zenith, 2e-4);
        sun.AzimuthDeg.ShouldBe(azimuth, 2e-4);
    }

    /// <summary>Spencer 1971; figures computed by an independent program.</summary>
    [Theory]
    [InlineData(1, 1414.91)]
    [InlineData(80, 1377.80)]
    [InlineData(172, 1322.49)]
    [InlineData(202, 1323.03)]
    [InlineData(355, 1413.64)]
    public void Extraterrestrial(int day, double expected) => Sun.Extraterrestrial(day).ShouldBe(expected, 0.006);

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(30, 172, 0, 3, 869.477, 888.563, 99.9587)]
    [InlineData(60, 172, 0, 3, 455.332, 763.835, 73.4145)]
    [InlineData(20, 202, 250, 4, 922.350, 833.119, 139.475)]
    [InlineData(75, 355, 2000, 2.5, 242.920, 824.352, 29.5622)]
    [InlineData(85, 80, 0, 5, 14.1888, 27.8883, 11.7581)]
    public void Clear_sky(double zenith, int day, double elevation, double turbidity, double global, double direct, double diffuse)
    {
        var sky = Irradiance.ClearSky(zenith, day, elevation, turbidity);
        sky.Global.ShouldBe(global, 0.002);
        sky.Direct.ShouldBe(direct, 0.002);
        sky.Diffuse.ShouldBe(diffuse, 0.002);
    }

    /// <summary>The unit test of the open library pvlib for this model (from memory).</summary>
    [Fact]
    public void Clear_sky_of_the_open_library()
    {
        var sky = Irradiance.ClearSky(10, 1, 1364, 0, 3);
        sky.Global.ShouldBe(1038.159219, 1e-6);
        sky.Direct.ShouldBe(942.2081860, 1e-6);
        sky.Diffuse.ShouldBe(110.2652929, 1e-6);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(880, 880, 110, 30, 200, 90, 180, 172, 0.2, 413.465, 39.7106, 18.4025, 88.0)]
    [InlineData(880, 880, 110, 30, 200, 90, 270, 172, 0.2, 150.489, 14.4535, 18.4025, 88.0)]
    [InlineData(500, 700, 90, 60, 265, 90, 270, 202, 0.25, 603.911, 82.1631, 21.1910, 62.5)]
    [InlineData(500, 700, 90, 60, 265, 30, 180, 202, 0.2, 329.527, 44.8326, 39.5429, 6.69873)]
    [InlineData(300, 0, 300, 55, 120, 90, 0, 172, 0.2, 0, 0, 150, 30)]
    public void Faces(double global, double direct, double diffuse, double zenith, double azimuth, double tilt, double face, int day, double albedo,
        double beam, double circumsolar, double sky, double ground)
    {
        var on = Irradiance.OnFace(new SkyIrradiance(global, direct, diffuse), zenith, azimuth, tilt, face, Sun.Extraterrestrial(day), albedo);
        on.Beam.ShouldBe(beam, 0.002);
        on.Circumsolar.ShouldBe(circumsolar, 0.002);
        on.Sky.ShouldBe(sky, 0.002);
        on.Ground.ShouldBe(ground, 0.002);
    }

    /// <summary>Erbs, Klein and Duffie 1982, from memory; figures computed by an independent program.</summary>
    [Theory]
    [InlineData(500, 50, 172, 0.588178, 415.625, 232.841)]
    [InlineData(900, 20, 202, 0.723915, 756.221, 189.384)]
    [InlineData(150, 70, 355, 0.310242, 25.8144, 141.171)]
    [InlineData(100, 40, 80, 0.0947458, 1.11314, 99.1473)]
    [InlineData(1100, 15, 172, 0.861103, 950.901, 181.500)]
    public void Measured_global_sun_is_split(double global, double zenith, int day, double clearness, double direct, double diffuse)
    {
        var cos = Math.Cos(zenith * Math.PI / 180);
        DiffuseSplit.Clearness(global, cos, Sun.Extraterrestrial(day)).ShouldBe(clearness, 2e-6);
        var sky = DiffuseSplit.Split(global, cos, Sun.Extraterrestrial(day));
        sky.Direct.ShouldBe(direct, 0.002);
        sky.Diffuse.ShouldBe(diffuse, 0.002);
        (sky.Direct * cos + sky.Diffuse).ShouldBe(global, 1e-9);
    }

    /// <summary>Kasten and Czeplak 1980, from memory.</summary>
    [Theory]
    [InlineData(0, 1)]
    [InlineData(0.25, 0.993269)]
    [InlineData(0.5, 0.928951)]
    [InlineData(0.75, 0.717987)]
    [InlineData(1, 0.25)]
    public void Cloud_leaves_so_much_and_is_found_again(double cloud, double left)
    {
        DiffuseSplit.CloudFactor(cloud).ShouldBe(left, 1e-6);
        DiffuseSplit.CloudOf(DiffuseSplit.CloudFactor(cloud)).ShouldBe(cloud, 1e-9);
    }

    /// <summary>Clark and Allen 1978 with Walton's cloud factor, from memory; figures computed by an independent program.</summary>
    [Theory]
    [InlineData(20, 0, 0.841406)]
    [InlineData(20, 0.5, 0.891470)]
    [InlineData(5, 0, 0.801278)]
    [InlineData(-5, 1, 0.892394)]
    public void Emissivity_of_the_sky(double dewPoint, double cloud, double emissivity) => SkyLongWave.Emissivity(dewPoint, cloud).ShouldBe(emissivity, 1e-6);

    [Fact]
    public void A_flat_face_sees_the_whole_sky_and_a_face_turned_down_only_the_ground()
    {
        var sky = new SkyIrradiance(700, 800, 120);
        var flat = Irradiance.OnFace(sky, 40, 150, 0, 0, 1330, 0.2);
        flat.Total.ShouldBe(800 * Math.Cos(40 * Math.PI / 180) + 120, 1e-9);
        var down = Irradiance.OnFace(sky, 40, 150, 180, 0, 1330, 0.2);
        down.Total.ShouldBe(0.2 * 700, 1e-9);
    }

    /// <summary>Computed by an independent reference program; no published source.</summary>
    [Theory]
    [InlineData(35, 20, 0, 21.9802, 81.0860, 28.6682)]
    [InlineData(35, 20, 0.5, 26.2756, 55.4894, 19.6185)]
    [InlineData(25, 5, 0, 8.93542, 89.0423, 31.4812)]
    [InlineData(0, -5, 1, -7.66476, 33.9667, 12.0090)]
    public void Sky_temperature(double air, double dewPoint, double cloud, double sky, double roof, double wall)
    {
        SkyLongWave.SkyTemperature(air, dewPoint, cloud).ShouldBe(sky, 1e-4);
        SkyLongWave.Correction(air, sky, 0).ShouldBe(roof, 2e-3);
        SkyLongWave.Correction(air, sky, 90).ShouldBe(wall, 2e-3);
    }

    /// <summary>Fractions of the daily range: ASHRAE Fundamentals 2009 to 2017 ch. 14, from memory.</summary>
    [Theory]
    [InlineData(0.5, 0.85)]
    [InlineData(8.25, 0.6925)]
    [InlineData(14.5, 0)]
    [InlineData(23.5, 0.785)]
    public void Share_of_the_daily_range(double hour, double share) => DesignDay.Fraction(hour).ShouldBe(share, 1e-12);
}
