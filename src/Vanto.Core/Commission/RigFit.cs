using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Commission;

/// <summary>What a cooling-down says of the rig and of its unit, as shares of what was computed and rated.</summary>
/// <param name="Loss">Heat that comes in, over the computed.</param>
/// <param name="LossFrom">Least that fits as well, within the noise of the readings.</param>
/// <param name="LossTo">Most that fits as well.</param>
/// <param name="Capacity">Cooling, over the rated.</param>
/// <param name="ApartK">How far the model stays from the readings, root mean square.</param>
/// <param name="Words">What it says, in a sentence.</param>
/// <param name="Sure">It may be taken over: the curve is followed, and no bound is touched.</param>
public sealed record RigFitResult(double Loss, double LossFrom, double LossTo, double Capacity, double ApartK, Phrase Words, bool Sure);

/// <summary>
/// Lays the heat balance of the rig over a measured cooling-down: heat that comes in and cooling are changed by one share each until the curves meet.
/// Least squares; the day is the design day with its air moved to what was read outdoors.
/// </summary>
public static class RigFit
{
    private const int LeastReadings = 10;
    private const double LeastMin = 20, NoiseK = 0.15, FollowedK = 0.6, Bound = 1.02;
    private const int LossGrid = 7, LossSteps = 6, CapacityGrid = 6, CapacitySteps = 7;

    /// <summary>The pull-down as the drawing gives it, also where a measured share stands in the design: a proof is not held against itself.</summary>
    public static PullDownView AsDrawn(SurveyDesign survey, LoadDesign load, UnitDesign design, AcUnit unit, PullDownView now)
    {
        if (survey.MeasuredLoss is null)
            return now;
        var space = SurveyedSpace.Build(survey with { MeasuredLoss = null }, load.SetpointC, load.HumidityPct);
        var result = PullDowns.FromSoak(new HeatSoak(space, DesignDay.Steps(space.Weather, RigDay.StepS)), space, (int)now.FromHour,
            unit.RatedCapacityW * Capacity.FlowFactor(design.AirFlowShare));
        return new PullDownView(now.FromHour, result.StartC, result.Minutes, result.RelativeHumidityPct, result.MassC,
            [.. result.AirByMinuteC.Where((_, i) => (i + 1) % PullDownView.Step == 0).Select(t => Math.Round(t, 2))]);
    }

    /// <summary>Fits.</summary>
    /// <param name="survey">The rig; a measured share in it is left out of sight.</param>
    /// <param name="load">Set-point and humidity.</param>
    /// <param name="nominalW">Rated cooling with its air flow.</param>
    /// <param name="points">The space from the start on.</param>
    /// <param name="outdoorC">Air outdoors; nothing takes the design day's.</param>
    /// <param name="hour">Hour of the day at which it began.</param>
    /// <exception cref="InputException">Too few readings, too short, or warmer at the start than the model can be.</exception>
    public static RigFitResult Of(SurveyDesign survey, LoadDesign load, double nominalW, IReadOnlyList<CoolingPoint> points, double? outdoorC, int hour)
    {
        if (points.Count < LeastReadings || points[^1].Seconds - points[0].Seconds < LeastMin * 60)
            throw new InputException("readings", $"{points.Count}",
                $"readings: a fit needs {LeastReadings} over {LeastMin:0} minutes at least; there are {points.Count}");
        var most = double.PositiveInfinity;
        (double Loss, double Capacity) best = (double.NaN, double.NaN);
        var tried = new List<(double Loss, double Sum)>();
        double Loss(double lnLoss)
        {
            var loss = Math.Exp(lnLoss);
            var space = SurveyedSpace.Build(survey with { MeasuredLoss = loss }, load.SetpointC, load.HumidityPct);
            var weather = space.Weather;
            if (outdoorC is { } read)
                weather = weather with { DryBulbC = weather.DryBulbC + read - DesignDay.AirC(weather, hour + 0.5) };
            space = space with { Weather = weather };
            var soak = new HeatSoak(space, DesignDay.Steps(weather, RigDay.StepS));
            var least = double.PositiveInfinity;
            GoldenSearch.Least(share =>
            {
                var sum = Apart(PullDowns.FromSoak(soak, space, hour, nominalW * share), points, load.SetpointC);
                if (sum < least)
                    least = sum;
                if (sum < most)
                    (most, best) = (sum, (loss, share));
                return sum;
            }, Energy.EnergyDesign.LeastCapacity, Energy.EnergyDesign.MostCapacity, CapacityGrid, CapacitySteps);
            tried.Add((loss, least));
            return least;
        }

        GoldenSearch.Least(Loss, Math.Log(SurveyDesign.LeastLoss), Math.Log(SurveyDesign.MostLoss), LossGrid, LossSteps);
        if (!double.IsFinite(most))
            throw new InputException("readings", Phrase.Of($"{points[0].C:Temperature}"),
                Phrase.Of($"readings: it began at {points[0].C:Temperature}, warmer than the closed-up rig can be at that hour by the model"));
        // Shares whose sum of squares the noise could have made as well: χ² of one share, 95 % (textbook statistics).
        var noise = Math.Max(NoiseK * NoiseK, most / points.Count);
        var alike = tried.Where(t => t.Sum <= most + 3.84 * noise).Select(t => t.Loss).Order().ToList();
        var apart = Math.Sqrt(most / points.Count);
        var edge = best.Loss < SurveyDesign.LeastLoss * Bound || best.Loss > SurveyDesign.MostLoss / Bound
            || best.Capacity < Energy.EnergyDesign.LeastCapacity * Bound || best.Capacity > Energy.EnergyDesign.MostCapacity / Bound;
        var sure = apart <= FollowedK && !edge;
        return new RigFitResult(best.Loss, alike[0], alike[^1], best.Capacity, apart, !sure
            ? Phrase.Of($"No share of heat and cooling follows these readings: they stay {apart:TemperatureDifference} apart. Doors, sun, another day?")
            : Phrase.Of($"Heat comes in at {best.Loss:Fraction} of the computed ({alike[0]:Fraction} to {alike[^1]:Fraction} fit as well); it cools with "
                + $"{best.Capacity:Fraction} of the rated."), sure);
    }

    /// <summary>Sum of squares between the readings and the model from where it passes the first; infinite where it never does.</summary>
    private static double Apart(PullDownResult run, IReadOnlyList<CoolingPoint> points, double setC)
    {
        var first = run.StartC <= points[0].C + NoiseK ? 0 : Array.FindIndex(run.AirByMinuteC, c => c <= points[0].C) + 1;
        if (first == 0 && run.StartC < points[0].C - FollowedK)
            return double.PositiveInfinity;
        double At(double minute)
        {
            var i = first - 1 + minute;
            if (i >= run.AirByMinuteC.Length - 1)
                return run.Minutes is null ? run.AirC : setC;
            var below = (int)Math.Floor(i);
            var from = below < 0 ? run.StartC : run.AirByMinuteC[below];
            return from + (run.AirByMinuteC[below + 1] - from) * (i - below);
        }

        return points.Where(p => p.C > setC).Sum(p => Math.Pow(p.C - At(p.Seconds / 60), 2));
    }
}
