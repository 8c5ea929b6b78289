using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using CsCheck;
using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Calculators;

/// <summary>
/// Every calculation takes any combination of its inputs in their ranges: an answer in finite numbers, or a sentence that says what does not belong
/// together.
/// </summary>
public partial class AnyInputTests
{
    private const int Cases = 60;

    public static TheoryData<string> Names => [.. CalculatorRegistry.All.Keys];

    [GeneratedRegex("^[a-z][A-Za-z0-9_]*$")]
    private static partial Regex CamelCase();

    [Theory]
    [MemberData(nameof(Names))]
    public void Any_inputs_in_range_are_answered(string name)
    {
        var calculator = CalculatorRegistry.All[name];
        var fields = FieldCatalogue.Of(calculator.InputType, Activator.CreateInstance(calculator.InputType)!, JobFile.Json)
            .Where(f => f.Input is not "list" && f.Path != "/text").ToList();
        Gen.Select(Gen.Int[0, Math.Max(0, fields.Count - 1)], Gen.Double[0, 1], (f, w) => new FieldAt(f, w)).Array[0, Math.Min(30, 2 * fields.Count)]
            .Each(changes => Answered(calculator, fields, changes), iter: Cases, print: c => Inputs(fields, c).ToJsonString());
    }

    private static void Answered(CalculatorInfo calculator, List<FieldInfo> fields, FieldAt[] changes)
    {
        try
        {
            var result = CalculatorRegistry.Run(calculator, Inputs(fields, changes).Deserialize(calculator.InputType, JobFile.Json)!);
            Finite.FirstFault(result.Figures).ShouldBeNull();
            result.Figures.Select(f => f.Name).ShouldBeUnique();
            result.Figures.ShouldAllBe(f => CamelCase().IsMatch(f.Name));
        }
        catch (InputException refused)
        {
            refused.Errors[0].Reason.ShouldNotBeEmpty();
            refused.Errors[0].Field.ShouldNotBeEmpty();
        }
    }

    private static JsonObject Inputs(List<FieldInfo> fields, FieldAt[] changes)
    {
        var root = new JsonObject();
        if (fields.Count > 0)
            foreach (var (field, where) in changes)
                if (!fields[field].Path.Contains('*'))
                    AnyDesign.Put(root, fields[field], where);
        return root;
    }

    [Fact]
    public void A_figure_is_named_by_what_it_is_and_its_unit()
    {
        var figures = CalculatorRegistry.Run(CalculatorRegistry.All["psychrometrics"], new Vanto.Core.Physics.PsychrometricsInput()).Figures;
        figures.Select(f => f.Name).ShouldBe(["airPressurePa", "saturationPressurePa", "humidityRatioKgKg", "relativeHumidityPct", "airDensityKgM3",
            "dewPointC", "wetBulbC", "enthalpyKJKg", "specificVolumeM3Kg"], ignoreOrder: true);
    }
}
