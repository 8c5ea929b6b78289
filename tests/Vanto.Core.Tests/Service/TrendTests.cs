using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Core.Service;
using Vanto.Core.Stations;
using Vanto.Core.Survey;

namespace Vanto.Core.Tests.Service;

/// <summary>Trends of a rig against its own normal; sources beside each check.</summary>
public class TrendTests
{
    private static readonly double[] X = [24, 26, 28, 29, 31, 33, 34, 36], Y = [6.1, 6.3, 6.8, 6.8, 7.3, 7.4, 7.9, 8.0];

    [Fact] // least squares and prediction interval of any statistics textbook; figures computed outside this project
    public void A_baseline_is_a_line_over_the_air_outdoors()
    {
        var line = TrendBaseline.Of([.. X.Zip(Y)], 0.2)!;
        line.A.ShouldBe(2.051, 1e-3);
        line.B.ShouldBe(0.166772, 1e-6);
        line.Sigma.ShouldBe(0.2);
        line.SpreadX.ShouldBe(118.875, 1e-6);
        line.Standard(30, 7.05)!.Value.ShouldBe(-0.0195787, 1e-5);
        line.Standard(35, 8.9)!.Value.ShouldBe(4.39592, 1e-4);
        line.Standard(38, 8.4)!.Value.ShouldBe(0.0454786, 1e-5);
        line.Standard(40, 8.4).ShouldBeNull("it was never so warm");
        TrendBaseline.Of([.. X.Zip(Y).Take(7)], 0.2).ShouldBeNull();
        double[] flat = [10.8, 11.2, 10.9, 11.4, 11.0, 11.3, 11.1, 10.7, 11.2, 11.0];
        var mean = TrendBaseline.Of([.. flat.Select(y => (0.0, y))], 0.01)!;
        mean.A.ShouldBe(11.06, 1e-9);
        mean.Sigma.ShouldBe(0.222111, 1e-6);
        mean.Lag.ShouldBe(-0.476577, 1e-6);
        TrendBaseline.LagOne([1, 1.2, 1.5, 1.7, 1.6, 1.4, 1.1, 0.9, 0.8, 1.0]).ShouldBe(0.716438, 1e-6);
    }

    [Fact] // worked example of the NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.3; its data from memory
    public void The_handbooks_example_signals_at_its_fourteenth()
    {
        double[] x =
        [
            324.925, 324.675, 324.725, 324.350, 325.350, 325.225, 324.125, 324.525, 325.225, 324.600, 324.625, 325.150, 328.325, 327.250, 327.825, 328.500,
            326.675, 327.775, 326.875, 328.350,
        ];
        var (steps, drift) = Cusum.Of([.. x.Select(v => v - 325)], 0.3175, 4.1959);
        double[] up = [3.0075, 4.94, 7.4475, 10.63, 11.9875, 14.445, 16.0025, 19.035];
        for (var i = 0; i < up.Length; i++)
            steps[12 + i].Up.ShouldBe(up[i], 1e-9);
        steps[4].Up.ShouldBe(0.0325, 1e-9);
        drift!.At.ShouldBe(13);
    }

    [Fact] // computed outside this project from the published recursion
    public void A_drift_is_dated_and_measured()
    {
        double[] z = [0.2, -0.5, 0.9, -1.1, 0.3, -0.8, -1.6, -1.2, -2.0, -1.5, -2.3];
        var (steps, drift) = Cusum.Of(z, 0.5, 5);
        steps.Select(s => Math.Round(s.Down, 9)).ShouldBe([0, 0, 0, 0.6, 0, 0.3, 1.4, 2.1, 3.6, 4.6, 6.4]);
        (drift!.At, drift.From).ShouldBe((10, 5));
        drift.ShiftSigmas.ShouldBe(-1.56667, 1e-5);
        var (_, headed) = Cusum.Of(z, 0.5, 5, 2.5);
        headed!.At.ShouldBe(10);
        headed.ShiftSigmas.ShouldBe(-0.872727, 1e-6);
        var (mirrored, other) = Cusum.Of([.. z.Select(v => -v)], 0.5, 5);
        mirrored.Select(s => s.Up).ShouldBe(steps.Select(s => s.Down));
        other!.ShiftSigmas.ShouldBe(-drift.ShiftSigmas, 1e-12);
    }

    [Theory] // the approximation's published worked example, 469.1 and 938.2, from memory; others computed outside this project
    [InlineData(0, 0.5, 5, 469.111)]
    [InlineData(1, 0.5, 5, 10.3362)]
    [InlineData(0, 0.5, 4, 169.047)]
    [InlineData(1, 0.5, 4, 8.34336)]
    [InlineData(0, 0.25, 8, 368.898)]
    [InlineData(0.5, 0.25, 8, 28.7448)]
    public void How_often_it_cries_wolf_and_how_soon_it_sees(double shift, double k, double h, double readings) =>
        Cusum.RunLength(shift, k, h).ShouldBe(readings, readings * 1e-5);

    /// <summary>
    /// Simulated against the exact run lengths of the published tables (Technometrics 24 and 32, from memory): 465 in control, 10.4 with one sigma.
    /// </summary>
    [Theory]
    [InlineData(0, 465.44, 0.08)]
    [InlineData(1, 10.376, 0.05)]
    [InlineData(2, 4.009, 0.05)]
    public void The_sums_cry_as_often_as_the_tables_say(double shift, double exact, double within)
    {
        var noise = new SplitMix64(77);
        var runs = shift == 0 ? 2000 : 4000;
        double all = 0;
        for (var run = 0; run < runs; run++)
        {
            double up = 0, down = 0;
            var n = 0;
            while (up <= 5 && down <= 5)
            {
                var z = noise.Normal() + shift;
                (up, down) = (Math.Max(0, up + z - 0.5), Math.Max(0, down - z - 0.5));
                n++;
            }
            all += n;
        }
        (all / runs).ShouldBe(exact, exact * within);
    }

    [Theory] // JCGM 100 (published) for what can be seen; limits common practice
    [InlineData(8.4, 11.1, 0.5, 0.5, "split", Severity.Caution)]
    [InlineData(10.4, 11.1, 0.5, 0.5, "split", null)]
    [InlineData(9.6, 8.0, 0.2, 0.2, "run", Severity.Caution)]
    [InlineData(31, 22, 0.66, 0.44, "start", Severity.Caution)]
    public void Few_visits_are_compared_by_what_the_instruments_can_see(double measured, double reference, double u1, double u2, string kind, Severity? level)
    {
        var limits = kind switch
        {
            "split" => new VisitLimits(WorseSide.Low, 0.10, 0.20, 0.50),
            "run" => new VisitLimits(WorseSide.Both, 0.10, 0.20, null),
            _ => new VisitLimits(WorseSide.High, 0.15, 0.30, null),
        };
        VisitComparison.Of(measured, reference, u1, u2, limits).Level.ShouldBe(level);
        VisitComparison.Of(measured, reference, 10 * u1, 10 * u2, limits).Level.ShouldBeNull("worse instruments never make a finding");
    }

    /// <summary>A coil that clogs is seen before its amperes leave the band of a visit; without drift nothing is said.</summary>
    [Fact]
    public void A_slow_drift_is_caught_and_a_steady_rig_is_left_alone()
    {
        var van = RigPresets.New(RigKind.Rv, "Knot");
        static IEnumerable<TrendRecord> Readings(double drift)
        {
            var hand = new SplitMix64(3);
            for (var i = 0; i < 26; i++)
            {
                var outdoor = 24 + 9 * hand.Uniform();
                yield return new TrendRecord(Guid.NewGuid(), new DateTimeOffset(2024, 1, 1, 0, 0, 0, TimeSpan.Zero).AddDays(40 * i), "Piet", new TrendValues
                {
                    RanMin = 20,
                    OutdoorC = outdoor,
                    RunA = 9.4 + 0.11 * (outdoor - 28) + 0.12 * hand.Normal() + drift * Math.Max(0, i - 15),
                }, null);
            }
        }

        TrendSeries Of(IEnumerable<StationRecord> records) => Assessor.Assess(van, [.. records]).Service!.Trends.Single(t => t.Id == "run");
        var steady = Of(Readings(0));
        steady.Level.ShouldBeNull();
        steady.Words.ToString().ShouldStartWith("As always");
        var clogs = Of(Readings(0.16));
        clogs.Level.ShouldBe(Severity.Caution);
        clogs.DriftFrom!.Value.ShouldBeInRange(new DateOnly(2025, 7, 1), new DateOnly(2026, 6, 1));
        clogs.Words.ToString().ShouldContain("outdoor coil");
        var cold = Readings(0.16).Select(r => r with { Readings = r.Readings with { RanMin = 5 } });
        Of(cold).Points.ShouldAllBe(p => !p.Steady, "a start-up puff is shown and never charted");
        var repaired = Readings(0.16).Concat<StationRecord>([new PartRecord(Guid.NewGuid(), new DateTimeOffset(2025, 9, 1, 0, 0, 0, TimeSpan.Zero), "Piet",
            new PartValues { Part = PartClass.Coil }, null)]);
        Of(repaired).Points.Count.ShouldBeLessThan(clogs.Points.Count, "a new coil begins a new baseline");
        var moved = Readings(0.16).Concat<StationRecord>([new MoveRecord(Guid.NewGuid(), new DateTimeOffset(2025, 9, 1, 0, 0, 0, TimeSpan.Zero), "Piet",
            new MoveValues { Step = "started" }, null)]);
        Of(moved).Points.Count.ShouldBeLessThan(clogs.Points.Count, "so does another place");
    }
}
