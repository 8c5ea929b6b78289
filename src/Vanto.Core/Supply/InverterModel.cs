namespace Vanto.Core.Supply;

/// <summary>Losses and rating of an inverter; typical shares, common practice.</summary>
/// <param name="RatedW">Label watts.</param>
/// <param name="IdleW">Draw without load.</param>
/// <param name="Linear">Share lost in proportion to the load.</param>
/// <param name="Quadratic">Share lost with the square of the load, at rating.</param>
public readonly record struct InverterModel(double RatedW, double IdleW, double Linear = 0.03, double Quadratic = 0.05)
{
    /// <summary>One of which only the rating is known.</summary>
    public static InverterModel Typical(double ratedW) => new(ratedW, InverterLosses.IdleShare * ratedW);

    /// <summary>DC watts drawn for AC watts delivered.</summary>
    public double DcPower(double acW) => acW + IdleW + Linear * acW + Quadratic * acW * acW / RatedW;

    /// <summary>AC watts available from DC watts; 0 when the idle draw takes all.</summary>
    public double AcPower(double dcW)
    {
        if (dcW <= IdleW)
            return 0;
        var a = 1 + Linear;
        return (-a + Math.Sqrt(a * a + 4 * Quadratic * (dcW - IdleW) / RatedW)) / (2 * Quadratic / RatedW);
    }

    /// <summary>Continuous watts at an ambient temperature: 1 % less for each K above 25 °C.</summary>
    public double ContinuousW(double ambientC) => RatedW * (1 - 0.01 * Math.Max(0, ambientC - 25));
}
