using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Physics;

/// <summary>Computed by an independent reference program; films and gaps by ISO 6946, from memory.</summary>
public class EnvelopeTests
{
    [Theory]
    [InlineData(0, 9.1426)]
    [InlineData(1, 13.1426)]
    [InlineData(2, 17.1426)]
    [InlineData(6.7, 35.9426)]
    public void Outside_film(double wind, double expected) => SkyLongWave.OutsideFilm(wind, 0.9, 293.15).ShouldBe(expected, 1e-4);

    public static TheoryData<Layer[], double, double, double> Builds => new()
    {
        { [Layer.Of("steel", 0.0009), Layer.Of("pe-foam", 0.025), Layer.Gap(0.13), Layer.Of("plywood", 0.006)], 0.13, 1 / 17.1426, 1.01061 },
        { [Layer.Of("steel", 0.0009), Layer.Of("pe-foam", 0.025), Layer.Gap(0.13), Layer.Of("plywood", 0.006)], 0.17, 1 / 17.1426, 0.971340 },
        { [Layer.Of("steel", 0.0012), Layer.Of("pu-closed", 0.030), Layer.Of("plywood", 0.009)], 0.13, 0.04, 0.740540 },
        { [Layer.Of("grp", 0.006), Layer.Of("balsa", 0.019), Layer.Of("grp", 0.004), Layer.Gap(0.13), Layer.Of("plywood", 0.006)], 0.17, 0.04, 1.29599 },
        { [Layer.Of("steel", 0.002)], 0.13, 0.04, 5.88097 },
        { [Layer.Of("steel", 0.002), Layer.Of("pir", 0.075), Layer.Of("plywood", 0.012)], 0.13, 0.04, 0.295216 },
        { [Layer.Of("softwood", 0.022), Layer.Of("glass-wool", 0.090), Layer.Of("gypsum", 0.0125)], 0.13, 0.04, 0.375536 },
    };

    [Theory]
    [MemberData(nameof(Builds))]
    public void Transmittance_of_layers(Layer[] layers, double inside, double outside, double expected) =>
        Layers.Transmittance(layers, inside, outside).ShouldBe(expected, expected * 1e-5);

    [Fact]
    public void More_insulation_never_loses_more()
    {
        var before = double.MaxValue;
        for (var mm = 1; mm < 200; mm++)
        {
            var u = Layers.Transmittance([Layer.Of("steel", 0.001), Layer.Of("xps", mm / 1000.0)], 0.13, 0.06);
            u.ShouldBeLessThan(before);
            before = u;
        }
    }
}
