using Vanto.Core.Commission;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Tests.Commission;

/// <summary>Pumping down and what a test can show. Figures worked out outside this project by a second program; tolerances as agreed there.</summary>
public class EvacuationTests
{
    private const double Micron = QuantityTable.PascalsPerMicron;
    private static readonly GasWay Large = new(9.5e-3, 0.9);

    [Theory]
    [InlineData(66.66, false, false, 2.44417e-5)]
    [InlineData(66.66, false, true, 1.09081e-5)]
    [InlineData(66.66, true, false, 4.73779e-4)]
    [InlineData(1000, false, false, 2.43954e-4)]
    [InlineData(1000, false, true, 7.44507e-5)]
    [InlineData(1000, true, false, 1.94714e-3)]
    [InlineData(1.5, false, false, 0)]
    public void The_hose_sets_the_speed(double pascal, bool large, bool coreIn, double expected) =>
        new EvacuationSetup { Hose = large ? Large : new(4.8e-3, 1.5), CoreIn = coreIn }.EffectiveSpeed(pascal).ShouldBe(expected, expected * 1e-4);

    public static TheoryData<EvacuationSetup, double, double, double> Times => new()
    {
        { new(), 10.8, 43.6, 78.7 },
        { new() { CoreIn = true }, 31.8, 125.3, 208.4 },
        { new() { Hose = Large }, 3.4, 5.4, 7.1 },
        { new() { VolumeM3 = 3e-3 }, 21.6, 87.3, 156.2 },
        { new() { PumpM3s = 2.5 * 4.719474e-4 }, 13.3, 46.4, 81.6 },
        { new() { BoundKg = 2e-5 }, 10.8, 50.7, 191.5 },
        { new() { BoundKg = 1e-4 }, 11.1, 794.1, 2454.7 },
        { new() { BoundKg = 1e-4, Hose = Large }, 3.4, 5.5, 7.7 },
        { new() { WaterKg = 1e-3 }, 77.7, 1321.2, 2260.8 },
        { new() { WaterKg = 1e-3, Kelvin = 278.15 }, 19.1, 3004.3, 3357.9 },
    };

    [Theory]
    [MemberData(nameof(Times))]
    public void Time_to_a_vacuum(EvacuationSetup setup, double to5000, double to1000, double to500)
    {
        foreach (var (micron, expected) in new[] { (5000, to5000), (1000, to1000), (500, to500) })
            EvacuationRig.SecondsTo(setup, micron * Micron)!.Value.ShouldBe(expected, Math.Max(0.11, expected * 0.01), $"to {micron} micron");
    }

    /// <summary>Without a hose and without gas from the walls it is the closed form V/S·ln((p₀ − p_u)/(p − p_u)), a textbook's.</summary>
    [Fact]
    public void Without_a_hose_it_is_the_closed_form()
    {
        var seconds = EvacuationRig.SecondsTo(new EvacuationSetup { Hose = new(0.1, 0.01), OutgasPaM3s = 0 }, 500 * Micron)!.Value;
        var closed = 1.5e-3 / (5 * 4.719474e-4) * Math.Log((101325 - 2) / (500 * Micron - 2));
        closed.ShouldBe(4.677, 0.001);
        seconds.ShouldBe(closed, 0.11);
    }

    [Fact]
    public void Never_below_what_the_pump_reaches_and_longer_with_volume_hose_and_water()
    {
        var rig = new EvacuationRig(new EvacuationSetup { OutgasPaM3s = 0 });
        for (var i = 0; i < 40000; i++)
            rig.Step(pumping: true);
        rig.Pa.ShouldBeGreaterThanOrEqualTo(2);
        double To(EvacuationSetup s) => EvacuationRig.SecondsTo(s, 500 * Micron)!.Value;
        var plain = To(new());
        To(new() { VolumeM3 = 2e-3 }).ShouldBeGreaterThan(plain);
        To(new() { Hose = new(4.8e-3, 1.8) }).ShouldBeGreaterThan(plain);
        To(new() { Hose = new(6e-3, 1.5) }).ShouldBeLessThan(plain);
        To(new() { BoundKg = 3e-5 }).ShouldBeGreaterThan(plain);
    }

    [Theory] // from memory: viscosities ±10 %; rows worked out outside this project
    [InlineData(1.66653e-4, false, 101325, 0, RefrigerantKind.R410A, 1586.1, 56427)]
    [InlineData(5.5551e-6, false, 101325, 0, RefrigerantKind.R410A, 52.87, 1880.9)]
    [InlineData(7.05498e-4, false, 101325, 0, RefrigerantKind.R410A, 6714.6, 238870)]
    [InlineData(4.89471e-3, true, 2859227.9, 101325, RefrigerantKind.R410A, 1623.5, 2016.0)]
    [InlineData(2.03946e-4, true, 2859227.9, 101325, RefrigerantKind.R410A, 67.65, 83.998)]
    [InlineData(1e-5, true, 2859227.9, 101325, RefrigerantKind.R410A, 3.317, 4.119)]
    [InlineData(1.66653e-4, false, 101325, 0, RefrigerantKind.R32, 1373.4, 44661)]
    [InlineData(2.03946e-4, true, 2859227.9, 101325, RefrigerantKind.R32, 58.57, 66.48)]
    [InlineData(1e-5, true, 2859227.9, 101325, RefrigerantKind.R32, 2.872, 3.260)]
    public void What_a_test_can_show(double flow, bool nitrogen, double high, double low, RefrigerantKind kind, double orifice, double laminar)
    {
        var leak = LeakEquivalent.Of(flow, nitrogen, high, low, kind, 298.15, 101325);
        leak.OrificeGYear.ShouldBe(orifice, orifice * 1e-3);
        leak.LaminarGYear.ShouldBe(laminar, laminar * 1e-3);
        leak.LeastGYear.ShouldBeLessThanOrEqualTo(leak.MostGYear);
    }
}
