using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

/// <summary>Banks built of blocks and of cells; definition.</summary>
public class BankTests
{
    [Theory]
    [InlineData(Chemistry.Lfp, 16, 48)]
    [InlineData(Chemistry.Lfp, 4, 12)]
    [InlineData(Chemistry.Lfp, 15, 45)]
    [InlineData(Chemistry.Agm, 6, 12)]
    [InlineData(Chemistry.Flooded, 24, 48)]
    public void Of_cells(Chemistry chemistry, int series, double nominalV)
    {
        var battery = new BatteryDesign { BuiltOf = BankUnit.Cells, Chemistry = chemistry, Series = series, BlockAh = 280, Blocks = 2, NominalV = 96 };
        battery.Cells.ShouldBe(series, "the voltage of a block does not count");
        battery.BankV.ShouldBe(nominalV, 1e-12);
        var bank = SourceBuilder.Bank(battery);
        bank.Cells.ShouldBe(series);
        bank.AmpHours.ShouldBe(560);
    }

    [Theory]
    [InlineData(12, 4)]
    [InlineData(24, 2)]
    [InlineData(48, 1)]
    public void Of_blocks_in_series_the_bank_is_the_same(double blockV, int series)
    {
        var battery = new BatteryDesign { NominalV = blockV, Series = series, BlockAh = 100, Blocks = 3 };
        battery.Cells.ShouldBe(16);
        battery.BankKWh.ShouldBe(48 * 300 / 1000.0, 1e-12);
        var cells = new BatteryDesign { BuiltOf = BankUnit.Cells, Series = 16, BlockAh = 100, Blocks = 3 };
        SourceBuilder.Bank(cells).StoredJ(1).ShouldBe(SourceBuilder.Bank(battery).StoredJ(1));
    }
}
