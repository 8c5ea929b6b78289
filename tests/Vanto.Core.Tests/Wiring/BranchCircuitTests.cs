using CsCheck;
using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Wiring;

/// <summary>
/// Branch circuit of an air conditioner. Rows of tables: NEC 110, 310.16, 310.15(B), 250.122, 440 and chapter 9, IEC 60364-5-52 and 60228, recalled, not
/// checked against the books; what is computed from them stands against worked values.
/// </summary>
public class BranchCircuitTests
{
    private static Conductor Of(WireSize size) => Conductor.Of(size);

    /// <summary>Geometry: ASTM B258. Stranded copper at 75 °C is 1.5 to 3 % above solid copper of 0.017241 Ω·mm²/m at 20 °C.</summary>
    [Fact]
    public void Sizes_agree_with_their_definition()
    {
        Conductor.AwgDiameterMm(WireSize.Awg12).ShouldBe(2.05253, 1e-5);
        Conductor.AwgDiameterMm(WireSize.Awg4Of0).ShouldBe(11.684, 1e-3);
        foreach (var wire in Conductor.Series(true))
        {
            var area = Math.PI / 4 * Math.Pow(Conductor.AwgDiameterMm(wire.Size), 2);
            wire.AreaMm2.ShouldBe(area, 0.0011 * area, wire.Size.ToString());
            (wire.Cmil * Conductor.CmilMm2).ShouldBe(area, 0.0028 * area);
            (wire.OhmM75 / (0.017241 * (1 + 0.00393 * 55) / area)).ShouldBeInRange(1.015, 1.030, wire.Size.ToString());
        }
        Of(WireSize.Awg12).OhmM(20).ShouldBe(0.00534204, 1e-8);
        Of(WireSize.Awg10).Next()!.Size.ShouldBe(WireSize.Awg8);
        Of(WireSize.Awg4Of0).Next().ShouldBeNull();
        Conductor.NotAbove(5.26, true).ShouldBe(WireSize.Awg10);
        Conductor.NotAbove(50, true).ShouldBe(WireSize.Awg1, "a metric cable is judged as the American one below it");
        Conductor.NotAbove(0.3, true).ShouldBe(WireSize.Awg18);
    }

    /// <summary>Worked values; the first row is a plate of the trade (36,000 BTU/h: 21 A, 35 A).</summary>
    [Theory]
    [InlineData(new[] { 16.0 }, new[] { 1.0 }, 0, 21, 25, 35)]
    [InlineData(new[] { 9.0 }, new[] { 0.5, 0.3 }, 0, 12.05, 15, 20)]
    [InlineData(new[] { 12.5, 12.5 }, new[] { 2.5, 2.5 }, 0, 33.125, 35, 45)]
    [InlineData(new[] { 4.0 }, new[] { 0.4 }, 0, 5.4, 15, 15)]
    [InlineData(new double[0], new[] { 1.0 }, 15, 20, 20, 20)]
    [InlineData(new[] { 10.0 }, new[] { 1.0 }, 15, 32.25, 35, 35)]
    public void Minimum_ampacity_and_protection(double[] compressors, double[] others, double heater, double mca, double starting, double most)
    {
        var mode = new RunningMode(compressors, others, heater);
        mode.McaA.ShouldBe(mca, 1e-9);
        Protection.Of([mode]).ShouldBe((starting, most));
        var more = mode with { Others = [.. others, 0] };
        more.McaA.ShouldBe(mode.McaA);
        Protection.Of([more]).ShouldBe((starting, most));
    }

    [Fact]
    public void Protection_grows_with_every_current() =>
        Gen.Select(Gen.Double[0.5, 60], Gen.Double[0, 10], Gen.Double[0, 20], Gen.Double[0, 5]).Each((compressor, fan, heat, more) =>
        {
            var mode = new RunningMode([compressor], [fan], heat);
            var (starting, most) = Protection.Of([mode]);
            starting.ShouldBeLessThanOrEqualTo(most);
            most.ShouldBeGreaterThanOrEqualTo(mode.McaA);
            var larger = new RunningMode([compressor + more], [fan], heat);
            larger.McaA.ShouldBeGreaterThanOrEqualTo(mode.McaA);
            Protection.Of([larger]).MaximumA.ShouldBeGreaterThanOrEqualTo(most);
        });

    [Theory]
    [InlineData(WireSize.Awg12, WireInsulation.C90, 30, 2, WireInsulation.C60, 30, 20)]
    [InlineData(WireSize.Awg12, WireInsulation.C90, 60, 2, WireInsulation.C60, 21.3, 20)]
    [InlineData(WireSize.Awg10, WireInsulation.C90, 60, 2, WireInsulation.C60, 28.4, 30)]
    [InlineData(WireSize.Awg10, WireInsulation.C75, 42, 5, WireInsulation.C75, 22.96, 35)]
    [InlineData(WireSize.Awg8, WireInsulation.C90, 40 + Ampacity.RoofK, 2, WireInsulation.C75, 27.5, 50)]
    public void Ampacity_in_a_building(WireSize size, WireInsulation insulation, double air, int together, WireInsulation terminals, double derated,
        double limit)
    {
        var carries = Ampacity.InBuilding(size, insulation, air, together, terminals).ShouldNotBeNull();
        carries.Derated.ShouldBe(derated, 1e-9);
        carries.Limit.ShouldBe(limit);
        carries.Amps.ShouldBe(Math.Min(derated, limit), 1e-9);
        Ampacity.InBuilding(WireSize.Awg12, WireInsulation.C60, 60, 2, WireInsulation.C60).ShouldBeNull("60 °C wire carries nothing in 60 °C air");
    }

    /// <summary>Factors of warm air against √((T − Ta)/(T − 30)): all within 0.005.</summary>
    [Fact]
    public void Factors_of_warm_air_follow_the_closed_form()
    {
        foreach (var (insulation, rated) in new[] { (WireInsulation.C60, 60.0), (WireInsulation.C75, 75), (WireInsulation.C90, 90) })
            for (var air = 10.0; Ampacity.Ambient(insulation, air) is { } factor; air += 5)
                factor.ShouldBe(Math.Sqrt((rated - air) / (rated - 30)), 0.0051, $"{insulation} {air}");
    }

    [Theory]
    [InlineData(WireSize.Sq2P5, false, CableMethod.B2, 40, 1, 20.01)]
    [InlineData(WireSize.Sq4, true, CableMethod.C, 33, 2, 34.56)]
    public void Ampacity_by_iec(WireSize size, bool xlpe, CableMethod method, double air, int circuits, double amps) =>
        Ampacity.OfIec(size, xlpe, method, air, circuits)!.Value.ShouldBe(amps, 1e-9);

    /// <summary>The recalled table against I = a·S^m, the form of the standard's annex D: within 4 %.</summary>
    [Fact]
    public void The_iec_table_follows_a_power_of_the_section()
    {
        foreach (var xlpe in new[] { false, true })
            foreach (var method in Enum.GetValues<CableMethod>())
            {
                var rows = Conductor.Series(false).Select(c => (X: Math.Log(c.AreaMm2), Y: Math.Log(Ampacity.OfIec(c.Size, xlpe, method, 30, 1)!.Value)))
                    .Where(p => double.IsFinite(p.Y)).ToList();
                var (x, y) = (rows.Average(p => p.X), rows.Average(p => p.Y));
                var slope = rows.Sum(p => (p.X - x) * (p.Y - y)) / rows.Sum(p => (p.X - x) * (p.X - x));
                slope.ShouldBeInRange(0.59, 0.63);
                foreach (var p in rows)
                    Math.Exp(p.Y - y - slope * (p.X - x)).ShouldBe(1, 0.04);
            }
    }

    [Theory]
    [InlineData(WireSize.Awg6, WireInsulation.C105, true, 1, 102)]
    [InlineData(WireSize.Awg2Of0, WireInsulation.C90, false, 1, 285)]
    [InlineData(WireSize.Awg10, WireInsulation.C105, true, 3, 35.7)]
    [InlineData(WireSize.Sq35, WireInsulation.C90, true, 1, 151.7)]
    public void Ampacity_afloat(WireSize size, WireInsulation insulation, bool engine, int bundled, double amps)
    {
        Ampacity.Afloat(size, insulation, engine, bundled)!.Value.ShouldBe(amps, 1e-9);
        Ampacity.Afloat(WireSize.Sq35, WireInsulation.C60, true, 1).ShouldBeNull("60 °C insulation is not allowed in an engine space");
    }

    /// <summary>Worked values; 18,000 BTU/h at 240 V: a run of 46.6, 73.9 or 118 m for 3 % by size.</summary>
    [Fact]
    public void Volts_lost_and_the_longest_run()
    {
        double At(WireSize size) => Of(size).OhmM(75);
        VoltageDrop.Volts(25, 20, At(WireSize.Awg12)).ShouldBe(6.49606, 1e-5);
        VoltageDrop.Volts(30.48, 12, At(WireSize.Awg14)).ShouldBe(7.536, 1e-4);
        VoltageDrop.Volts(30, 16, Of(WireSize.Awg10).OhmM(40), 0.000164, 0.9).ShouldBe(3.18622, 1e-4);
        VoltageDrop.Volts(25, 11.3, Of(WireSize.Sq2P5).OhmM(70)).ShouldBe(5.00933, 1e-4);
        ((240 - VoltageDrop.Volts(25, 75, At(WireSize.Awg12), 0.000177, 0.6)) / 240).ShouldBe(0.936887, 1e-5);
        ((120 - VoltageDrop.Volts(30, 60, At(WireSize.Awg14), 0.00019, 0.6)) / 120).ShouldBe(0.810007, 1e-5);
        (VoltageDrop.Volts(20, 12, At(WireSize.Awg10)) + VoltageDrop.Volts(1.8, 12, At(WireSize.Awg12))).ShouldBe(2.23339, 1e-5);
        foreach (var (size, metres) in new[] { (WireSize.Awg14, 46.5936), (WireSize.Awg12, 73.8909), (WireSize.Awg10, 117.987) })
        {
            var longest = VoltageDrop.Longest(240, 0.03, 7.5, At(size));
            longest.ShouldBe(metres, 1e-3);
            VoltageDrop.Volts(longest, 7.5, At(size)).ShouldBe(7.2, 1e-9);
        }
        VoltageDrop.Longest(120, 0.03, 8, At(WireSize.Awg14)).ShouldBe(21.8408, 1e-3);
    }

    [Theory]
    [InlineData(1800, 120, 0.30, 115.317, 15.6091)]
    [InlineData(720, 22, 0.0255249, 21.1303, 34.0744)]
    [InlineData(1200, 44, 0.0306299, 43.1481, 27.8112)]
    public void A_load_of_so_many_watts_draws_more_where_volts_are_lost(double watts, double open, double loop, double volts, double amps)
    {
        var (v, i) = VoltageDrop.ConstantPower(watts, open, loop)!.Value;
        v.ShouldBe(volts, 1e-3);
        i.ShouldBe(amps, 1e-3);
        VoltageDrop.ConstantPower(1200, 11, 0.103018).ShouldBeNull("the loop cannot give it");
    }

    [Fact]
    public void A_wire_fits_its_terminal_or_not()
    {
        var small = new Terminal(6, 4, 2.5);
        Of(WireSize.Awg10).EnvelopeMm(WireBuild.Stranded).ShouldBe(2.93473, 1e-3);
        TerminalFit.Of(small, Of(WireSize.Awg10), WireBuild.Stranded, false).ShouldBe(TerminalFitting.TooBig);
        TerminalFit.Of(small, Of(WireSize.Awg10), WireBuild.Solid, false).ShouldBe(TerminalFitting.Fits);
        TerminalFit.Of(small, Of(WireSize.Awg12), WireBuild.Stranded, false).ShouldBe(TerminalFitting.Fits);
        TerminalFit.Of(small, Of(WireSize.Awg12), WireBuild.Fine, true).ShouldBe(TerminalFitting.TooBig);
        TerminalFit.Of(small, Of(WireSize.Awg14), WireBuild.Stranded, true).ShouldBe(TerminalFitting.Fits);
        TerminalFit.Of(small, Of(WireSize.Awg14), WireBuild.Fine, false).ShouldBe(TerminalFitting.WantsFerrule);
        TerminalFit.Of(small, Of(WireSize.Awg14), WireBuild.Solid, false, 2).ShouldBe(TerminalFitting.TwoWires);
        TerminalFit.Of(new Terminal(null, null, null), Of(WireSize.Awg14), WireBuild.Solid, false).ShouldBe(TerminalFitting.Unknown);
        TerminalFit.Of(small with { OpeningMm = 2 }, Of(WireSize.Awg12), WireBuild.Stranded, false).ShouldBe(TerminalFitting.TooBig);
        // Overall diameters of seven strands, NEC chapter 9, table 8, recalled: 0.073, 0.092, 0.116 in.
        foreach (var (size, inch) in new[] { (WireSize.Awg14, 0.073), (WireSize.Awg12, 0.092), (WireSize.Awg10, 0.116) })
            Of(size).EnvelopeMm(WireBuild.Stranded).ShouldBe(25.4 * inch, 0.005 * 25.4 * inch);
    }

    /// <summary>Worked fills, and the most THHN conductors in steel tube of NEC annex C, recalled.</summary>
    [Fact]
    public void Conductors_fill_a_conduit()
    {
        void Fills(ConduitKind kind, string size, double fill, params WireSize[] wires)
        {
            var found = ConduitFill.Of(kind, [.. wires.Select(ConduitFill.WireMm2)]).ShouldNotBeNull();
            found.Size.ShouldBe(size);
            found.Fill.ShouldBe(fill, 1e-6);
        }

        Fills(ConduitKind.Emt, "1/2", 0.13125, WireSize.Awg12, WireSize.Awg12, WireSize.Awg12);
        Fills(ConduitKind.Lfnc, "1/2", 0.201592, WireSize.Awg10, WireSize.Awg10, WireSize.Awg10);
        Fills(ConduitKind.Lfnc, "1/2", 0.300318, WireSize.Awg8, WireSize.Awg8, WireSize.Awg10);
        Fills(ConduitKind.Emt, "3/4", 0.324953, WireSize.Awg6, WireSize.Awg6, WireSize.Awg6, WireSize.Awg10);
        ConduitFill.Of(ConduitKind.Lfnc, [Math.PI / 4 * 12.5 * 12.5])!.Value.Size.ShouldBe("3/4");
        WireSize[] sizes = [WireSize.Awg14, WireSize.Awg12, WireSize.Awg10, WireSize.Awg8, WireSize.Awg6, WireSize.Awg4];
        foreach (var (size, counts) in new[] { ("1/2", new[] { 12, 9, 5, 3, 2, 1 }), ("3/4", [22, 16, 10, 6, 4, 2]), ("1", [35, 26, 16, 9, 7, 4]) })
            sizes.Select(w => ConduitFill.Count(ConduitKind.Emt, size, w)).ShouldBe(counts, size);
    }

    [Theory]
    [InlineData(20, WireSize.Awg12, WireSize.Awg12, WireSize.Awg12)]
    [InlineData(35, WireSize.Awg12, WireSize.Awg12, WireSize.Awg12)]
    [InlineData(20, WireSize.Awg12, WireSize.Awg8, WireSize.Awg8)]
    [InlineData(30, WireSize.Awg10, WireSize.Awg6, WireSize.Awg6)]
    [InlineData(250, WireSize.Awg4Of0, WireSize.Awg4Of0, WireSize.Awg4)]
    public void The_earth_follows_device_and_live(double device, WireSize least, WireSize installed, WireSize earth) =>
        EarthConductor.American(device, least, installed).ShouldBe(earth);

    [Fact]
    public void Earth_by_iec_by_an_inverter_and_by_the_fault()
    {
        EarthConductor.Iec(WireSize.Sq2P5).ShouldBe(WireSize.Sq2P5);
        EarthConductor.Iec(WireSize.Sq25).ShouldBe(WireSize.Sq16);
        EarthConductor.Iec(WireSize.Sq50).ShouldBe(WireSize.Sq25);
        EarthConductor.OfInverter(WireSize.Awg2Of0).ShouldBe(WireSize.Awg1Of0);
        EarthConductor.AdiabaticMm2(900, 0.4, 115).ShouldBe(4.94965, 1e-5);
        EarthConductor.AdiabaticMm2(5000, 0.1, 143).ShouldBe(11.0569, 1e-4);
        EarthConductor.AdiabaticMm2(250, 5, 143).ShouldBe(3.90921, 1e-5);
    }

    [Fact]
    public void A_disconnect_bears_1_15_times_and_a_whip_is_one_that_is_sold()
    {
        DisconnectRating.Of(17, false).ShouldBe((1.15 * 17, 30));
        DisconnectRating.Of(29.5, false).RatingA.ShouldBe(60);
        DisconnectRating.Of(26.0869, false).RatingA.ShouldBe(30);
        Whip.For(0.5 + 0.4 + 0.3).ShouldBe(1.8);
        Whip.For(0.6).ShouldBe(1.2);
        Whip.For(1.9).ShouldBe(3.0);
        Whip.For(3).ShouldBeNull();
    }
}
