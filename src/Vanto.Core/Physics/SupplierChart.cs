using Vanto.Core.Findings;

namespace Vanto.Core.Physics;

/// <summary>A row of a supplier's pressure chart.</summary>
/// <param name="C">Temperature, °C.</param>
/// <param name="BubblePa">Of the liquid, absolute.</param>
/// <param name="DewPa">Of the vapour, absolute.</param>
public sealed record ChartRow(double C, double BubblePa, double DewPa);

/// <summary>
/// Saturation of a refrigerant without an equation here, by its supplier's chart: ln p straight in 1/T between its rows, nothing beyond them.
/// </summary>
public sealed class SupplierChart
{
    private const int LeastRows = 4;
    private readonly List<ChartRow> _rows;

    /// <summary>Takes the rows in any order.</summary>
    /// <exception cref="InputException">Fewer than four, a row twice, pressures that do not rise, or vapour above its liquid.</exception>
    public SupplierChart(IEnumerable<ChartRow> rows)
    {
        _rows = [.. rows.OrderBy(r => r.C)];
        if (_rows.Count < LeastRows)
            throw new InputException("rows", $"{_rows.Count}", $"rows: a chart needs {LeastRows} at least; got {_rows.Count}");
        for (var i = 0; i < _rows.Count; i++)
        {
            if (_rows[i].DewPa > _rows[i].BubblePa * (1 + 1e-9))
                throw new InputException($"rows[{i}].dewPa", Phrase.Of($"{_rows[i].DewPa:AbsolutePressure}"), Phrase.Of(
                    $"rows: at {_rows[i].C:Temperature} the vapour stands above its liquid; are the columns changed?"));
            if (i > 0 && (_rows[i].C <= _rows[i - 1].C || _rows[i].DewPa <= _rows[i - 1].DewPa || _rows[i].BubblePa <= _rows[i - 1].BubblePa))
                throw new InputException($"rows[{i}].c", Phrase.Of($"{_rows[i].C:Temperature}"), Phrase.Of(
                    $"rows: temperatures and pressures must rise from row to row; at {_rows[i].C:Temperature} they do not"));
        }
    }

    /// <summary>Absolute pressure at a temperature.</summary>
    /// <exception cref="InputException">Outside the chart.</exception>
    public double PressurePa(double celsius, bool dew)
    {
        if (!(celsius >= _rows[0].C && celsius <= _rows[^1].C))
            throw new InputException("temperatureC", Phrase.Of($"{celsius:Temperature}"),
                Phrase.Of($"temperatureC must lie within the chart, {_rows[0].C:Temperature} to {_rows[^1].C:Temperature}; got {celsius:Temperature}"));
        var (a, b) = Between(r => r.C, celsius);
        var share = (Inverse(celsius) - Inverse(a.C)) / (Inverse(b.C) - Inverse(a.C));
        return Math.Exp(Math.Log(Of(a, dew)) + share * (Math.Log(Of(b, dew)) - Math.Log(Of(a, dew))));
    }

    /// <summary>Temperature at an absolute pressure, °C.</summary>
    /// <exception cref="InputException">Outside the chart.</exception>
    public double TemperatureC(double pa, bool dew)
    {
        var (least, most) = (Of(_rows[0], dew), Of(_rows[^1], dew));
        if (!(pa >= least && pa <= most))
            throw new InputException("pressurePa", Phrase.Of($"{pa:AbsolutePressure}"),
                Phrase.Of($"pressurePa must lie within the chart, {least:AbsolutePressure} to {most:AbsolutePressure}; got {pa:AbsolutePressure}"));
        var (a, b) = Between(r => Of(r, dew), pa);
        var share = (Math.Log(pa) - Math.Log(Of(a, dew))) / (Math.Log(Of(b, dew)) - Math.Log(Of(a, dew)));
        return 1 / (Inverse(a.C) + share * (Inverse(b.C) - Inverse(a.C))) - Kelvin;
    }

    private const double Kelvin = 273.15;

    private static double Inverse(double celsius) => 1 / (celsius + Kelvin);

    private static double Of(ChartRow row, bool dew) => dew ? row.DewPa : row.BubblePa;

    private (ChartRow, ChartRow) Between(Func<ChartRow, double> of, double value)
    {
        var above = Math.Clamp(_rows.FindIndex(r => of(r) >= value), 1, _rows.Count - 1);
        return (_rows[above - 1], _rows[above]);
    }
}
