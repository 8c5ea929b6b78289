using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Load;

namespace Vanto.Core.Handover;

/// <summary>How long the battery lasts from this moment on.</summary>
/// <param name="Words">Until when, as it is.</param>
/// <param name="State">Stop within the hour, caution within the day.</param>
/// <param name="Ways">As it is, and two and four degrees warmer.</param>
/// <param name="Off">What goes off, in this order.</param>
public sealed record FromNowView(Phrase Words, StationState State, IReadOnlyList<FromNowWay> Ways, IReadOnlyList<string> Off);

/// <summary>One way to go on.</summary>
/// <param name="Hours">Until the charge that is kept; nothing where it lasts the day.</param>
/// <param name="UntilHour">The hour of the day then.</param>
public sealed record FromNowWay(string Name, double? Hours, double? UntilHour);

/// <summary>Answers the owner at night: this full, this late, until when, and what goes off first. By the same run in time as Energy's night.</summary>
public static class FromNow
{
    private static readonly (string Name, double WarmerK)[] Ways = [("as it is set", 0), ("two degrees warmer", 2), ("four degrees warmer", 4)];

    /// <summary>Runs from there.</summary>
    /// <param name="inputs">The rig as Energy takes it.</param>
    /// <param name="charge">Share of the bank.</param>
    /// <param name="hour">Hour of the day, 0 to 24.</param>
    /// <exception cref="InputException">Out of range, or no battery.</exception>
    public static FromNowView Of(EnergyInputs inputs, double charge, double hour)
    {
        if (!(charge is > 0 and <= 1))
            throw new InputException("charge", $"{charge}", $"charge must be above 0 and at most 1; got {charge}");
        if (!(hour is >= 0 and < 24))
            throw new InputException("hour", $"{hour}", $"hour must be 0 to below 24; got {hour}");
        if (!inputs.Survey.Sources.Battery.Fitted)
            throw new InputException("battery", "none", "there is no battery on this rig");
        inputs = inputs with { Day = inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day };
        var ways = new List<FromNowWay>();
        foreach (var (name, warmer) in Ways)
        {
            var set = Math.Min(EnergyDesign.WarmestC, inputs.Energy.SetpointC + warmer);
            var energy = inputs.Energy with { StartHour = hour, StartSoc = charge, SetpointC = set, OtherwiseC = Math.Max(set, inputs.Energy.OtherwiseC) };
            var series = EnergyStation.Assess(inputs with { Energy = energy }).Series;
            var low = Array.FindIndex(series.Soc, s => s <= inputs.ReserveSoc + Enough);
            double? hours = charge <= inputs.ReserveSoc ? 0 : low < 0 ? null : (series.Hour[low] - hour + 24) % 24;
            ways.Add(new FromNowWay(name, hours, hours is { } h ? (hour + h) % 24 : null));
        }
        var first = ways[0];
        var (before, after) = LimitedPower.Order(inputs.Survey);
        return new FromNowView(first.Hours is not { } left ? Phrase.Of($"It lasts the day round.")
            : left <= 0 ? Phrase.Of($"It is down to the charge that is kept: switch off now.")
            : Phrase.Of($"Until {first.UntilHour!.Value:HourOfDay}: {left:Hours} from now."),
            first.Hours is null ? StationState.Passed : first.Hours < SoonHours ? StationState.Stop : StationState.Caution, ways,
            [.. before.Select(d => d.Device.Name), "the air conditioner set two degrees warmer", "the air conditioner", .. after.Select(d => d.Device.Name)]);
    }

    /// <summary>So near to the charge that is kept it is reached: half of what a series shows.</summary>
    private const double Enough = 0.002;

    private const double SoonHours = 1;
}
