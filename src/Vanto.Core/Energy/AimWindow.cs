using Vanto.Core.Physics;

namespace Vanto.Core.Energy;

/// <summary>What it means to hold the aim: in its hours, once the cabin had time to settle, not too warm and the bank above its reserve. Definition.</summary>
/// <param name="inputs">The aim and the sources.</param>
/// <param name="energyCase">The run.</param>
internal readonly struct AimWindow(EnergyInputs inputs, EnergyCase energyCase)
{
    private const double SettleHours = 0.5;

    private readonly EnergyDesign _aim = inputs.Energy;
    private readonly double _warmAboveC = inputs.Energy.SetpointC + energyCase.ToleranceK + (inputs.Unit.SingleSpeed ? energyCase.HysteresisK / 2 : 0);
    private readonly double _reserveSoc = inputs.Survey.Sources.Battery.Fitted && energyCase.ShoreW is null ? inputs.ReserveSoc : double.NegativeInfinity;

    /// <summary>Whether an hour of the day is one of the aim's.</summary>
    public bool Contains(double hour) => Day.Within(hour, _aim.From, _aim.To);

    /// <summary>Whether the cabin still settles: the first half hour of the window, or of a run that begins within it.</summary>
    /// <param name="hour">Hour of the day.</param>
    /// <param name="sinceH">Hours since the run began.</param>
    public bool Settles(double hour, double sinceH = double.MaxValue) => (hour - _aim.From + 24) % 24 <= SettleHours || sinceH <= SettleHours;

    /// <summary>Too warm at an hour; never while it settles.</summary>
    public bool Warm(double hour, double airC, double sinceH = double.MaxValue) => !Settles(hour, sinceH) && airC > _warmAboveC;

    /// <summary>The bank at its reserve, where nothing feeds the rig from outside.</summary>
    public bool Low(double soc) => soc <= _reserveSoc;
}
