namespace Vanto.Core.Energy;

/// <summary>A run for drawing, one array a column: hours, °C, W, share; rounded to what a drawing can show.</summary>
public sealed record EnergySeries
{
    public required double[] Hour { get; init; }
    public required double[] OutdoorC { get; init; }
    public required double[] CabinC { get; init; }
    public required double[] SetC { get; init; }
    public required double[] SunW { get; init; }
    public required double[] AirconW { get; init; }
    public required double[] LoadsW { get; init; }
    public required double[] OtherSourcesW { get; init; }
    public required double[] Soc { get; init; }

    /// <summary>Of a run: powers as means of so many steps, the rest at their end.</summary>
    /// <param name="result">The run.</param>
    /// <param name="energyCase">Its case.</param>
    /// <param name="hours">The hour of each step.</param>
    /// <param name="group">Steps that make one point.</param>
    public static EnergySeries Of(EnergyResult result, EnergyCase energyCase, double[] hours, int group)
    {
        var count = hours.Length / group;
        double[] Column(int decimals, Func<int, double> value) => [.. Enumerable.Range(0, count).Select(i => Math.Round(value(i * group), decimals))];
        double[] Last(double[] series, int decimals) => Column(decimals, k => series[k + group - 1]);
        double[] Mean(double[] series) => Column(1, k => group == 1 ? series[k] : series.AsSpan(k, group).ToArray().Average());
        return new EnergySeries
        {
            Hour = Column(3, k => hours[k]),
            OutdoorC = Last(energyCase.OutdoorC, 2),
            CabinC = Last(result.AirC, 2),
            SetC = Last(energyCase.SetpointC, 2),
            SunW = Mean(result.PvW),
            AirconW = Mean(result.AirconW),
            LoadsW = Mean(result.LoadW),
            OtherSourcesW = Mean(result.SourceW),
            Soc = Last(result.Soc, 4),
        };
    }
}
