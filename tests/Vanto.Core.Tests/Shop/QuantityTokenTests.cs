using Vanto.Core.Quantities;
using Vanto.Core.Shop;

namespace Vanto.Core.Tests.Shop;

/// <summary>Quantities as words to search by; the product's own, its check values worked out by hand.</summary>
public class QuantityTokenTests
{
    [Theory]
    [InlineData("12,000 BTU/h", "power35e3")]
    [InlineData("3.5 kW", "power35e3")]
    [InlineData("9k btu", "power26e3")]
    [InlineData("2.6 kW", "power26e3")]
    [InlineData("410 W", "power41e2")]
    [InlineData("9.95 kW", "power10e4")]
    [InlineData("25 ft", "length76e0")]
    [InlineData("7.5 m", "length75e0")]
    [InlineData("1/4 in", "length64e-3")]
    public void A_quantity_is_found_in_any_unit(string typed, string word) =>
        QuantityTokens.Read(typed).Quantities.ShouldHaveSingleItem().ShouldContain(word);

    [Fact]
    public void Words_beside_a_quantity_stay_words()
    {
        var (rest, quantities) = QuantityTokens.Read("gannet 12000 BTU/h roof 3 windows");
        rest.Split(' ', StringSplitOptions.RemoveEmptyEntries).ShouldBe(["gannet", "roof", "3", "windows"]);
        quantities.Count.ShouldBe(1);
        QuantityTokens.Of(QuantityKind.Power, 0).ShouldBeNull();
        QuantityTokens.Of(QuantityKind.Temperature, 20).ShouldBeNull();
    }
}
