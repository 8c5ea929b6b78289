using Vanto.Core.Findings;

namespace Vanto.Core.Supply;

/// <summary>How a shore connection is shared, W.</summary>
public readonly record struct ShoreShare(double LimitW, double FromShoreW, double LeftW, double ChargerW);

/// <summary>What a DC-DC charger takes from an alternator.</summary>
public readonly record struct DcDcShare(double FreeA, double OutputW, double ShareOfHotOutput);

/// <summary>How a PV-assisted unit shares its array and the mains, W.</summary>
public readonly record struct PvAssistShare(double FromSunW, double FromMainsW, double CurtailedW);

/// <summary>Sources beside the bank and how they share; common practice.</summary>
public static class OtherSources
{
    /// <summary>Share of its rating that an alternator gives hot while the vehicle cruises.</summary>
    public const double CruiseShare = 0.85;

    private const double ContinuousShare = 0.8;
    private const double AlternatorV = 14.0;
    private const double DcDcEfficiency = 0.90;
    private const double ControllerEfficiency = 0.97;

    /// <summary>Loads first, the rest to the charger; what is above the limit is left to the inverter or shed.</summary>
    public static ShoreShare Shore(double volts, double breakerA, double loadW, double chargerMaxW, double share = ContinuousShare)
    {
        var limit = volts * breakerA * share;
        var from = Math.Min(loadW, limit);
        return new ShoreShare(limit, from, loadW - from, loadW > limit ? 0 : Math.Min(limit - from, chargerMaxW));
    }

    /// <summary>Charging while driving: what the alternator has left, limited by the charger.</summary>
    /// <param name="alternatorA">Rated amperes of the alternator.</param>
    /// <param name="share">Share that it gives hot: 0.85 at cruise, 0.45 idling.</param>
    /// <param name="vehicleA">Amperes of the vehicle itself.</param>
    /// <param name="limitA">Output limit of the charger.</param>
    /// <param name="outputV">Output volts.</param>
    public static DcDcShare DcDc(double alternatorA, double share, double vehicleA, double limitA, double outputV)
    {
        var free = alternatorA * share - vehicleA;
        var output = Math.Max(0, Math.Min(limitA * outputV, DcDcEfficiency * AlternatorV * free));
        return new DcDcShare(free, output, output / DcDcEfficiency / AlternatorV / (alternatorA * share));
    }

    /// <summary>Share of its hot output above which an alternator overheats at idle; common practice.</summary>
    private const double HotShare = 0.5;

    /// <summary>What there is to say of a charger's draw on the alternator, or null.</summary>
    public static Finding? JudgeHot(DcDcShare share) => share.ShareOfHotOutput <= HotShare ? null
        : Finding.Of(FindingCode.AltHot, Severity.Caution,
            $"The charger takes {share.ShareOfHotOutput:Fraction} of what the alternator gives hot: it overheats at idle. Lower its limit, or watch its "
                + $"temperature.");

    /// <summary>A unit on its own array: sun first, the rest from the mains, the surplus is lost.</summary>
    public static PvAssistShare PvAssist(double airconW, double arrayW)
    {
        var sun = Math.Min(airconW, ControllerEfficiency * arrayW);
        return new PvAssistShare(sun, airconW - sun, arrayW - sun / ControllerEfficiency);
    }
}
