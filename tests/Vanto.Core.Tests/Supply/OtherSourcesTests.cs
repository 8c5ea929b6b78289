using Vanto.Core.Physics;
using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

/// <summary>
/// Sources in time and limited power. Check values: arithmetic; Liu and Jordan 1963 for the tilted plane, published; the rest common practice, no
/// published source.
/// </summary>
public class OtherSourcesTests
{
    [Theory]
    [InlineData(120, 15, 600, 1600, 1440, 600, 0, 840)]
    [InlineData(120, 15, 1350, 1600, 1440, 1350, 0, 90)]
    [InlineData(120, 15, 1800, 1600, 1440, 1440, 360, 0)]
    [InlineData(230, 6, 500, 1200, 1104, 500, 0, 604)]
    [InlineData(120, 30, 1500, 1600, 2880, 1500, 0, 1380)]
    public void Shore_feeds_loads_first_then_the_charger(double volts, double breaker, double load, double chargerMost, double limit, double from, double left,
        double charger)
    {
        var s = OtherSources.Shore(volts, breaker, load, chargerMost);
        s.ShouldBe(new ShoreShare(limit, from, left, charger));
    }

    [Theory]
    [InlineData(160, 0.85, 35, 25, 51.2, 101, 1272.6, 0.7426)]
    [InlineData(160, 0.45, 35, 25, 51.2, 37, 466.2, 0.5139)]
    [InlineData(90, 0.85, 30, 30, 13.6, 46.5, 408, 0.4233)]
    public void The_alternator_gives_what_the_vehicle_leaves(double rated, double share, double vehicle, double limit, double volts, double free, double output,
        double ofHot)
    {
        var d = OtherSources.DcDc(rated, share, vehicle, limit, volts);
        d.FreeA.ShouldBe(free, 1e-9);
        d.OutputW.ShouldBe(output, 0.05);
        d.ShareOfHotOutput.ShouldBe(ofHot, 1e-4);
    }

    [Fact]
    public void An_idling_alternator_that_the_vehicle_needs_charges_nothing() => OtherSources.DcDc(60, 0.45, 40, 30, 13.6).OutputW.ShouldBe(0);

    [Theory]
    [InlineData(2150, 2011.9, 1951.54, 198.457, 0)]
    [InlineData(900, 2011.9, 900, 0, 1084.06)]
    [InlineData(2150, 0, 0, 2150, 0)]
    public void A_unit_on_its_array_takes_the_sun_first(double aircon, double array, double sun, double mains, double lost)
    {
        var p = OtherSources.PvAssist(aircon, array);
        p.FromSunW.ShouldBe(sun, 0.01);
        p.FromMainsW.ShouldBe(mains, 0.01);
        p.CurtailedW.ShouldBe(lost, 0.01);
    }

    [Theory]
    [InlineData(800, 100, 700, 0.95, 20, 861.206)]
    [InlineData(800, 100, 700, 0.75, 0, 700)]
    [InlineData(0, 250, 250, 0.5, 30, 236.603)]
    public void A_tilted_plane_sees_beam_sky_and_ground(double direct, double diffuse, double global, double cos, double tilt, double wanted) =>
        ArrayPlane.Irradiance(direct, diffuse, global, cos, tilt).ShouldBe(wanted, 5e-3);

    [Theory]
    [InlineData(1.134, 20, 30, 1.7374)]
    [InlineData(1.722, 10, 25, 2.3371)]
    [InlineData(1.722, 30, 20, 3.8569)]
    public void Rows_stand_so_far_apart(double length, double tilt, double elevation, double pitch) =>
        ArrayPlane.RowPitch(length, tilt, elevation).ShouldBe(pitch, 1e-4);

    [Fact]
    public void Shade_takes_its_share_until_the_string_is_too_low()
    {
        ArrayPlane.ShadeFactor(7, 1, 31.3, 90).ShouldBe(0.95238, 1e-5);
        ArrayPlane.ShadeFactor(7, 3, 31.3, 90).ShouldBe(0.85714, 1e-5);
        ArrayPlane.ShadeFactor(3, 3, 31.3, 63).ShouldBe(0, "two thirds of three modules are below the start");
        ArrayPlane.PlainControllerW(1, 9.8, 950, 13.2, 17).ShouldBe(122.892, 1e-3);
        ArrayPlane.PlainControllerW(1, 9.8, 950, 13.2, 13.6).ShouldBe(0);
    }
}
