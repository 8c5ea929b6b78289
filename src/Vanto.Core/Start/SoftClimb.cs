using System.Numerics;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>
/// The first minute of a unit driven by electronics, where its verdict is decided: its capacitors charge, it waits, then its draw climbs evenly to its
/// most. The times are typical, common practice.
/// </summary>
internal static class SoftClimb
{
    private const double WaitS = 5;
    private const double FullS = 60;
    private const double DrawnS = 70;

    /// <summary>Moments of the drawing: the charge of the capacitors in steps of half its time constant, then each second.</summary>
    private static IReadOnlyList<double> Moments(Precharge precharge) =>
        [.. Enumerable.Range(0, 12).Select(i => i * precharge.TauS / 2), .. Enumerable.Range(1, (int)DrawnS).Select(s => (double)s)];

    /// <summary>What it draws at a moment.</summary>
    /// <param name="unit">The unit.</param>
    /// <param name="mostW">Its most, W.</param>
    /// <param name="seconds">Since it was switched on.</param>
    private static double PowerW(AcUnit unit, double mostW, double seconds) =>
        unit.StandbyPowerW + (mostW - unit.StandbyPowerW) * Math.Clamp((seconds - WaitS) / (FullS - WaitS), 0, 1);

    /// <summary>On a source of alternating current.</summary>
    /// <param name="precharge">The rush into its capacitors.</param>
    /// <param name="unit">The unit.</param>
    /// <param name="outdoorC">Air at its condenser, °C.</param>
    /// <param name="source">What feeds it.</param>
    /// <param name="lineOhm">Cable to it.</param>
    /// <param name="neighbours">What is on with it.</param>
    public static StartTrace Of(Precharge precharge, AcUnit unit, double outdoorC, PowerSource source, double lineOhm, IReadOnlyList<NeighbourLoad> neighbours)
    {
        var most = Performance.MostPowerW(unit, outdoorC);
        var network = new Network(new StartCase { Motor = Token(unit.SupplyVoltageV), Source = source, Line = lineOhm, Neighbours = neighbours });
        var lag = Math.Sqrt(1 / (unit.PowerFactorRun * unit.PowerFactorRun) - 1);
        var points = Moments(precharge).Select(t =>
        {
            var watts = PowerW(unit, most, t);
            var point = network.AtConstantPower(watts * new Complex(1, lag));
            var rush = precharge.At(t);
            var dc = source.Dc is { } side ? side.Bank.Sag(side.Soc, side.Inverter.DcPower(point.RealW + rush * point.SourceV), side.CableOhm) : null;
            return (Seconds: t, SourceA: point.SourceA + rush, CompressorA: point.CompressorA + rush, point.CompressorV, dc);
        }).Where(p => double.IsFinite(p.SourceA) && double.IsFinite(p.CompressorV)).ToList();
        var onBattery = source.Dc is not null && points.All(p => p.dc is not null);
        var trace = StartTrace.Of(points, p => p.Seconds, p => p.SourceA, p => p.CompressorA, p => p.CompressorV);
        return !onBattery ? trace
            : trace with
            {
                BatteryV = [.. points.Select(p => Math.Round(p.dc!.Value.Voltage, 2))],
                BatteryA = [.. points.Select(p => Math.Round(p.dc!.Value.CurrentA, 1))],
            };
    }

    /// <summary>Straight on a bank.</summary>
    /// <param name="precharge">The rush into its capacitors.</param>
    /// <param name="unit">The unit.</param>
    /// <param name="mostW">Its most, W.</param>
    /// <param name="bank">The bank.</param>
    /// <param name="soc">Its charge, 0 to 1.</param>
    /// <param name="cableOhm">Cable to it.</param>
    /// <param name="othersW">What else is on, W.</param>
    public static StartTrace OfBank(Precharge precharge, AcUnit unit, double mostW, BatteryBank bank, double soc, double cableOhm, double othersW)
    {
        var points = Moments(precharge).Select(t => (Seconds: t, Sag: bank.Sag(soc, othersW + PowerW(unit, mostW, t), cableOhm), Rush: precharge.At(t)))
            .TakeWhile(p => p.Sag is not null).ToList();
        return StartTrace.Of(points, p => p.Seconds, p => p.Sag!.Value.CurrentA + p.Rush,
            p => PowerW(unit, mostW, p.Seconds) / p.Sag!.Value.Voltage + p.Rush, p => p.Sag!.Value.Voltage);
    }

    /// <summary>The network scales neighbours by the motor's voltage only, so a token motor of that voltage carries it.</summary>
    internal static MotorModel Token(double volts) => MotorModel.FromNameplate(volts, 50, 10);
}
