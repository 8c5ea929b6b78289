using Vanto.Core.Quantities;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Start;

/// <summary>Cases computed by an independent reference program (some by a second one); no published source.</summary>
public class StartTests
{
    private static readonly NeighbourLoad Fan = new("fan", 130, 0.85, false);

    internal static MotorModel Motor(string id, double factor = 1)
    {
        var u = UnitCatalogue.Find(id)!;
        return MotorModel.FromNameplate(u.SupplyVoltageV, u.LraA * factor, u.RlaA * factor, load: StartLoad.Running);
    }

    [Theory]
    [InlineData(115, 63, 12.0, 1.02222, 0.438095, 1.09524, 14.745, 0.949843, 1198.35, 285.318)]
    [InlineData(115, 40, 7.6, 1.61, 0.69, 1.725, 9.35648, 0.949987, 759.185, 181.28)]
    [InlineData(230, 20, 3.6, 6.44, 2.76, 6.9, 2.30514, 0.952976, 723.749, 183.936)]
    public void Motor_from_its_plate(double v, double lra, double rla, double r1, double r2, double x, double b, double n, double torque, double inertia)
    {
        var motor = MotorModel.FromNameplate(v, lra, rla, load: StartLoad.Running);
        motor.R1.ShouldBe(r1, r1 * 2e-4);
        motor.R2.ShouldBe(r2, r2 * 2e-4);
        motor.X.ShouldBe(x, x * 2e-4);
        (motor.Susceptance * 1000).ShouldBe(b, b * 2e-4);
        motor.RunSpeed.ShouldBe(n, 2e-6);
        motor.RunTorqueW.ShouldBe(torque, torque * 2e-4);
        motor.InertiaWs.ShouldBe(inertia, inertia * 2e-4);
        (motor.Admittance(0).Magnitude * v).ShouldBe(lra, 1e-9);
        (motor.Admittance(motor.RunSpeed).Magnitude * v).ShouldBe(rla, 1e-9);
    }

    [Theory]
    [InlineData(StartRemedy.None, 0, 600, 250.5, 63, 115, 772.1)]
    [InlineData(StartRemedy.HardStartKit, 0, 600, 138, 63, 115, 370.9)]
    [InlineData(StartRemedy.None, 0.40, 600, 385, 53.271, 97.24, 877.2)]
    [InlineData(StartRemedy.None, 0.90, 600, 689, 44.196, 80.675, 1117)]
    [InlineData(StartRemedy.HardStartKit, 0, 90, 176.5, 63, 115, 488.9)]
    public void Start_on_a_stiff_supply(StartRemedy remedy, double line, double off, double ms, double amps, double volts, double i2t)
    {
        var result = StartSimulation.Run(new StartCase
        {
            Starter = SoftStarterModel.Prescribed,
            Motor = Motor("RT-13-115"),
            Source = Stiff(115),
            Remedy = remedy,
            Line = line,
            SecondsOff = off
        },
            checkRunning: false);
        result.Outcome.ShouldBe(StartOutcome.Starts);
        (result.StartS!.Value * 1000).ShouldBe(ms, 1);
        result.MaxA.ShouldBe(amps, amps * 2e-4);
        result.MinCompressorV.ShouldBe(volts, volts * 2e-4);
        result.I2T.ShouldBe(i2t, i2t * 0.01);
    }

    [Fact]
    public void A_restart_against_pressure_stalls()
    {
        var result = StartSimulation.Run(new StartCase
        {
            Starter = SoftStarterModel.Prescribed,
            Motor = Motor("RT-13-115"),
            Source = Stiff(115),
            Line = 0,
            SecondsOff = 90
        });
        result.Outcome.ShouldBe(StartOutcome.Stalls);
        result.I2T.ShouldBe(7938, 1);
    }

    [Theory]
    [InlineData(0, 11.025)]
    [InlineData(0.05, 14.7)]
    [InlineData(0.15, 22.05)]
    [InlineData(0.3, 22.05)]
    [InlineData(0.46, 15.697)]
    [InlineData(0.58, 12.5)]
    public void Soft_starter_current(double t, double amps) => StartSimulation.SoftCurrent(t, 63, 12, 0.65).ShouldBe(amps, 0.001);

    public static IEnumerable<object?[]> Verdicts =>
    [
        ["V1", StartOutcome.Starts, "", null, 234.5, 65.705, 96.234, 117.41, 0.1288, 12.882, 119.44],
        ["V2", StartOutcome.TripsDuringStart, "DC under-voltage", 50.0, null, 65.705, 96.234, 117.41, 0.04508, 12.882, 119.44],
        ["V3", StartOutcome.Starts, "", null, 580.0, 23.433, 33.139, 119.12, 0.0, 12.882, 119.44],
        ["V4", StartOutcome.TripsDuringStart, "source voltage collapse", 200.0, null, 33.333, 47.14, 59.565, 0.4, 12.882, 119.44],
        ["V5", StartOutcome.Starts, "", null, 387.5, 50.0, 70.711, 89.347, 0.7035, 12.882, 119.44],
        ["V6", StartOutcome.StartsOnlyIfShed, "source overload", 21220.0, 580.0, 36.237, 51.247, 119.12, 0.2318, 26.091, 119.44],
        ["V7", StartOutcome.TripsDuringStart, "source voltage collapse", 200.0, null, 22.5, 31.82, 40.206, 0.4, 12.882, 119.44],
        ["V8", StartOutcome.Starts, "", null, 580.0, 22.5, 31.82, 114.38, 0.5976, 12.882, 119.44],
        ["V9", StartOutcome.Starts, "", null, 598.0, 45.652, 72.333, 81.577, 0.00358, 13.406, 113.65],
        ["V10", StartOutcome.Starts, "", null, 464.0, 50.887, 73.673, 90.526, 0.08203, 13.661, 111.64],
        ["V11", StartOutcome.Stalls, "compressor does not reach speed", null, null, 59.29, 86.437, 105.89, 0.3218, 13.132, 116.68],
        ["V12", StartOutcome.TripsDuringStart, "source overload", 100.0, null, 60.0, 84.853, 107.22, 1.0, 12.882, 119.44],
        ["V13", StartOutcome.Starts, "", null, 277.0, 19.432, 28.501, 220.1, 0.313, 3.9219, 228.05],
    ];

    [Theory]
    [MemberData(nameof(Verdicts))]
    public void Verdict(string name, StartOutcome outcome, string cause, double? tripMs, double? startMs, double max, double peak, double volts, double used,
        double runA, double runV)
    {
        var result = StartVerdict.Of(Case(name));
        result.Outcome.ShouldBe(outcome);
        result.Cause.Words().ShouldBe(cause);
        if (tripMs is { } trip)
            (result.TripS!.Value * 1000).ShouldBe(trip, Math.Max(1, trip * 1e-3));
        else
            result.TripS.ShouldBeNull();
        if (startMs is { } begun)
            (result.StartS!.Value * 1000).ShouldBe(begun, 1);
        result.MaxA.ShouldBe(max, max * 2e-4);
        result.PeakA.ShouldBe(peak, peak * 2e-4);
        result.MinCompressorV.ShouldBe(volts, volts * 2e-4);
        result.SurgeUsed.ShouldBe(used, Math.Max(1e-4, used * 0.01));
        result.RunA.ShouldBe(runA, runA * 2e-4);
        result.RunCompressorV.ShouldBe(runV, runV * 2e-4);
    }

    [Fact]
    public void Verdict_details()
    {
        StartVerdict.Of(Case("V1")).MinDcV!.Value.ShouldBe(11.563, 0.002);
        StartVerdict.Of(Case("V1")).MaxDcA!.Value.ShouldBe(630.64, 0.15);
        StartVerdict.Of(Case("V6")).Shed.ShouldBe(["microwave"]);
        StartVerdict.Of(Case("V13")).BreakerMayTrip.ShouldBeTrue();
        StartVerdict.Of(Case("V10")).BreakerMayTrip.ShouldBeFalse();
    }

    [Fact]
    public void Largest_motor_smallest_reduction_smallest_battery()
    {
        StartVerdict.LargestLra(Plain(Inverter(SourceClass.TransformerInverter, 3000)), f => Motor("RT-13-115", f)).ShouldBe(105.3, 0.2);
        StartVerdict.LargestLra(Plain(Inverter(SourceClass.HighFrequencyInverter, 3000)), f => Motor("RT-13-115", f)).ShouldBe(69.81, 0.2);
        StartVerdict.LargestLra(Plain(Generator(1800, 2200)), f => Motor("RT-13-115", f)).ShouldBe(30.5, 0.2);
        StartVerdict.LargestLra(Plain(Generator(1800, 2200)) with { Remedy = StartRemedy.SoftStarter }, f => Motor("RT-13-115", f)).ShouldBe(74.27, 0.2);
        StartVerdict.NeededReduction(Plain(Inverter(SourceClass.HighFrequencyInverter, 2000))).ShouldBe(0.40);
        StartVerdict.NeededReduction(Plain(Generator(1800, 2200))).ShouldBe(0.59);
        StartVerdict.NeededReduction(Plain(Inverter(SourceClass.HighFrequencyInverter, 1500))).ShouldBeNull();
        StartVerdict.NeededReduction(Plain(Inverter(SourceClass.TransformerInverter, 3000))).ShouldBe(0);
        PowerSource Rated(double amps) => Inverter(SourceClass.TransformerInverter, 3000, LithiumBank(400, 0.0005, amps), 0.5, 0.0008);
        StartVerdict.SmallestBatteryRating(Plain(Rated(400)), Rated)!.Value.ShouldBe(172.3, 0.6);
        StartVerdict.SmallestBatteryRating(Plain(Rated(400)) with { Remedy = StartRemedy.SoftStarter }, Rated)!.Value.ShouldBe(125, 0.6);
    }

    [Theory]
    [InlineData("RP-08-120", 1500, 1500, 1000)]
    [InlineData("RT-09-115", 2000, 2000, 1500)]
    [InlineData("RT-11-115", 2500, 2000, 1500)]
    [InlineData("RT-13-115", 3000, 2500, 2000)]
    [InlineData("RT-15-115", 3000, 3000, 2000)]
    [InlineData("RT-24-230", 2000, 1500, 1000)]
    [InlineData("RT-33-230", 2500, 2500, 1500)]
    public void Smallest_high_frequency_inverter(string id, double none, double kit, double soft)
    {
        var unit = UnitCatalogue.Find(id)!;
        double Smallest(StartRemedy remedy) => new[] { 1000.0, 1500, 2000, 2500, 3000, 3500, 4000, 5000 }.First(w => StartSimulation.Run(new StartCase
        {
            Starter = SoftStarterModel.Prescribed,
            Motor = Motor(id),
            Source = PowerSource.OfInverter(SourceClass.HighFrequencyInverter, unit.SupplyVoltageV < 150 ? 120 : 230, w),
            Remedy = remedy,
            Neighbours = [new NeighbourLoad("fan", unit.FanPowerW, 0.85, false)],
        }).Outcome == StartOutcome.Starts);
        Smallest(StartRemedy.None).ShouldBe(none);
        Smallest(StartRemedy.HardStartKit).ShouldBe(kit);
        Smallest(StartRemedy.SoftStarter).ShouldBe(soft);
    }

    [Theory]
    [InlineData("MS-12-120", SourceClass.HighFrequencyInverter, 3000, 120, 260, StartOutcome.Starts, 11.808, null)]
    [InlineData("MS-12-120", SourceClass.HighFrequencyInverter, 1000, 120, 0, StartOutcome.StartsButCannotRun, 9.5269, 44.06)]
    [InlineData("MS-26-230", SourceClass.HighFrequencyInverter, 1600, 230, 120, StartOutcome.Starts, 4.8257, null)]
    [InlineData("MS-24-240", SourceClass.PowerStation, 2500, 240, 0, StartOutcome.StartsButCannotRun, 11.668, 24.6)]
    public void Inverter_driven(string id, SourceClass kind, double watts, double volts, double others, StartOutcome outcome, double amps, double? after)
    {
        var unit = UnitCatalogue.Find(id)!;
        var full = Performance.FullLoad(unit, 35, 19.4444444);
        var most = Performance.Operate(unit, full, unit.MaxCapacityW).PowerW;
        NeighbourLoad[] loads = others > 0 ? [new NeighbourLoad("others", others, 0.95, false)] : [];
        var result = StartVerdict.OfInverterDriven(PowerSource.OfInverter(kind, volts, watts), volts, most, 0.97, loads, 0);
        result.Outcome.ShouldBe(outcome);
        result.RunA.ShouldBe(amps, amps * 5e-4);
        if (after is { } s)
            result.TripS!.Value.ShouldBe(s, s * 0.005);
    }

    [Fact]
    public void A_soft_starter_never_raises_the_peak_and_more_line_never_starts_faster()
    {
        foreach (var id in UnitCatalogue.All.Where(u => u.SingleSpeed).Select(u => u.Id))
        {
            var plain = new StartCase
            {
                Starter = SoftStarterModel.Prescribed,
                Motor = Motor(id),
                Source = Stiff(UnitCatalogue.Find(id)!.SupplyVoltageV),
                Line = 0
            };
            var direct = StartSimulation.Run(plain, checkRunning: false);
            StartSimulation.Run(plain with { Remedy = StartRemedy.SoftStarter }, checkRunning: false).PeakA.ShouldBeLessThan(direct.PeakA);
            StartSimulation.Run(plain with { Remedy = StartRemedy.HardStartKit }, checkRunning: false).StartS!.Value.ShouldBeLessThanOrEqualTo(
                direct.StartS!.Value);
            StartSimulation.Run(plain with { Line = 0.1 }, checkRunning: false).StartS!.Value.ShouldBeGreaterThanOrEqualTo(direct.StartS!.Value);
        }
    }

    [Fact]
    public void A_plate_whose_currents_do_not_belong_together_is_refused() =>
        Should.Throw<Vanto.Core.Findings.InputException>(() => MotorModel.FromNameplate(115, 20, 12, load: StartLoad.Running)).Message.ShouldContain(
            "must be at least 2.5 × RLA (30 A)");

    private static PowerSource Stiff(double volts) => PowerSource.OfInverter(SourceClass.TransformerInverter, volts, 1e6);

    private static StartCase Plain(PowerSource source) =>
        new() { Starter = SoftStarterModel.Prescribed, Motor = Motor("RT-13-115"), Source = source, Neighbours = [Fan] };

    private static PowerSource Generator(double rated, double most) => PowerSource.OfGenerator(GeneratorKind.Inverter, 120, rated, most);

    private static PowerSource Inverter(SourceClass kind, double watts, BatteryBank? bank = null, double soc = 0.5, double cable = 0) =>
        PowerSource.OfInverter(kind, 120, watts, bank is null ? null : new DcSide(bank, soc, cable, new InverterModel(watts, 30)));

    private static BatteryBank LithiumBank(double ah, double extra, double? continuous = null) =>
        new(Chemistry.Lfp, 4, ah, extraResistance: extra, continuousA: continuous);

    private static StartCase Case(string name) => name switch
    {
        "V1" => Plain(Inverter(SourceClass.TransformerInverter, 3000, LithiumBank(400, 0.0005), 0.5, 0.0008)),
        "V2" => Plain(Inverter(SourceClass.TransformerInverter, 3000, LithiumBank(200, 0.001), 0.2, 0.0012)),
        "V3" => Case("V2") with { Remedy = StartRemedy.SoftStarter },
        "V4" => Plain(Inverter(SourceClass.HighFrequencyInverter, 2000)),
        "V5" => Plain(Inverter(SourceClass.HighFrequencyInverter, 3000)),
        "V6" => Plain(Inverter(SourceClass.HighFrequencyInverter, 2500)) with
        {
            Remedy = StartRemedy.SoftStarter,
            Neighbours = [Fan, new("microwave", 1300, 0.95, true), new("fridge", 80, 0.9, true)],
        },
        "V7" => Plain(Generator(1800, 2200)),
        "V8" => Case("V7") with { Remedy = StartRemedy.SoftStarter },
        "V9" => Plain(PowerSource.OfGenerator(GeneratorKind.Conventional, 120, 2800, 3500)),
        "V10" => Plain(PowerSource.OfShore(120, 15, BreakerFamily.NorthAmerican)) with { Line = Conductors.LoopOhm(30, WireGauge.AreaMm2(14), 30) },
        "V11" =>
            Plain(PowerSource.OfShore(120, 20, BreakerFamily.NorthAmerican)) with { Line = Conductors.LoopOhm(10, WireGauge.AreaMm2(12), 30), SecondsOff = 60 },
        "V12" => Plain(Inverter(SourceClass.PowerStation, 3600)),
        _ => new StartCase { Motor = Motor("RT-24-230"), Source = PowerSource.OfShore(230, 6, BreakerFamily.IecB), Neighbours = [new("fan", 60, 0.85, false)] },
    };
}
