using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.References;

/// <summary>
/// Against programs outside the project, committed under tests/references with their versions: conduction on a fine grid, a day with its moisture, a
/// circuit simulator. They share with Vanto what drives them (sol-air temperatures, gains), not how it is solved.
/// </summary>
public class IndependentReferenceTests
{
    private static readonly string[] Rigs = ["marigold", "gannets-rest", "pipit"];

    private static JobDesign Design(string name) =>
        JobFile.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "References", name + ".design.json")));

    private static (RigDay Day, LoadDay Load) Day(string name) => RigDay.Of(Design(name).Survey, Design(name).Load);

    /// <summary>Peak within 2 %, hours within 2 % of the peak, root mean square.</summary>
    [Theory]
    [InlineData("marigold")]
    [InlineData("gannets-rest")]
    [InlineData("pipit")]
    public void The_held_day_is_that_of_conduction_on_a_fine_grid(string name)
    {
        var load = Day(name).Load;
        var rows = ReferenceTable.Read($"conduction-{name}.csv").ToList();
        var peak = rows.Max(r => r["sensibleW"]);
        load.SensibleW.Max().ShouldBe(peak, 0.02 * peak);
        var rms = Math.Sqrt(rows.Average(r => Math.Pow(r["sensibleW"] - load.SensibleW[(int)r["hour"]], 2)));
        rms.ShouldBeLessThan(0.02 * peak);
    }

    /// <summary>Minutes to 30 and 32 °C within 8 % or two minutes: the skins here are cut more coarsely.</summary>
    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    public void Left_to_itself_it_warms_as_the_fine_grid_does(int rig)
    {
        var (day, load) = Day(Rigs[rig]);
        foreach (var row in ReferenceTable.Read("free-float.csv").Where(r => r["rig"] == rig))
        {
            var minutes = HeatSoak.HoldTime(day.Space, day.Drivers, day.Settled, load.PeakHour, [30, 32], row["convectionWm2K"]);
            minutes[0]!.Value.ShouldBe(row["to30"], Math.Max(2, 0.08 * row["to30"]), $"h_c {row["convectionWm2K"]}");
            minutes[1]!.Value.ShouldBe(row["to32"], Math.Max(2, 0.08 * row["to32"]), $"h_c {row["convectionWm2K"]}");
        }
    }

    /// <summary>The unit's energy of a held day within 2 %, the room's humidity within 2 points.</summary>
    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    public void A_day_with_its_moisture_takes_as_much(int rig)
    {
        var design = Design(Rigs[rig]);
        var row = ReferenceTable.Read("moist-day.csv").Single(r => r["rig"] == rig);
        var held = design.Load.SetpointC;
        var aim = design.Energy with { SetpointC = held, OtherwiseC = held, Setpoints = [], StartHour = 0 };
        var small = UnitCatalogue.Find("MS-26-230")!;
        var unit = small with
        {
            RatedCapacityW = 2 * small.RatedCapacityW,
            RatedPowerW = 2 * small.RatedPowerW,
            MinCapacityW = 2 * small.MinCapacityW,
            MaxCapacityW = 2 * small.MaxCapacityW,
        };
        var day = Day(Rigs[rig]).Day;
        var fed = design.Survey with
        {
            Sources = design.Survey.Sources with
            {
                Shore = design.Survey.Sources.Shore with { PluggedIn = true, BreakerA = 50 },
                Battery = design.Survey.Sources.Battery with { BlockAh = 5000 },
            },
        };
        var free = new DayRun(new EnergyInputs(fed, design.Load, design.Unit, unit, aim, 0.2), day, 300, 3).Run().Result;
        var last = 2 * 288;
        (free.AirconW.Skip(last).Sum() / 12 / 1000).ShouldBe(row["unitKWh"], 0.02 * row["unitKWh"]);
        Enumerable.Range(last, 288).Average(k => MoistAir.RelativeHumidity(free.AirC[k], free.Ratio[k], day.Space.Weather.PressurePa))
            .ShouldBe(row["meanRhPct"], 2);
    }

    /// <summary>Start times within 5 %: the circuit in the time domain, the rotor's speed from its mean torque.</summary>
    [Fact]
    public void Starts_take_as_long_as_in_a_circuit_simulator()
    {
        foreach (var row in ReferenceTable.Read("starts.csv"))
        {
            var result = StartSimulation.Run(new StartCase
            {
                Motor = MotorModel.FromNameplate(row["ratedV"], row["lraA"], row["rlaA"]),
                Source = PowerSource.OfInverter(SourceClass.TransformerInverter, row["sourceV"], 1e6) with { Impedance = 0 },
                Line = row["lineOhm"],
                Remedy = row["reduction"] > 0 ? StartRemedy.SoftStarter : StartRemedy.None,
                Reduction = Math.Max(0.4, row["reduction"]),
            }, checkRunning: false);
            result.StartS.ShouldNotBeNull($"{row["lraA"]} A, {row["lineOhm"]} Ω, {row["reduction"]}");
            result.StartS!.Value.ShouldBe(row["startS"], 0.05 * row["startS"], $"{row["lraA"]} A, {row["lineOhm"]} Ω, {row["reduction"]}");
        }
    }

    /// <summary>Least blocks for each number of modules, of a search that tries every kit with a bank of its own; a block apart where a kit just
    /// holds.</summary>
    [Fact]
    public void The_smallest_kits_are_those_of_a_search_that_tries_them_all()
    {
        var design = Design("marigold");
        design = design with
        {
            Survey = design.Survey with
            {
                Sources = design.Survey.Sources with { Modules = design.Survey.Sources.Modules with { ShadeRoof = false } },
                Climate = design.Survey.Climate with { Months = [] },
            },
            Energy = design.Energy with
            {
                Sizing = design.Energy.Sizing with
                {
                    MostBatteries = 10,
                    MostModules = 12,
                    HotDays = false,
                    CloudyDays = true,
                    Aged = false,
                    Days = 3,
                    WarmerK = 0,
                    ChooseInverter = false,
                    ShedForStart = true,
                },
            },
        };
        var result = RigKitSearch.Rig(design)!(null, default);
        var apart = 0;
        foreach (var row in ReferenceTable.Read("kit-search.csv"))
            foreach (var (id, column) in new[] { ("design", "design"), ("cloudy", "cloudy") })
            {
                var found = result.Scenarios.Single(s => s.Id == id).Least[(int)row["modules"]];
                Math.Abs(found - row[column]).ShouldBeLessThanOrEqualTo(found < 0 || row[column] < 0 ? 0 : 1, $"{row["modules"]} modules, {id}");
                apart += found == (int)row[column] ? 0 : 1;
            }
        apart.ShouldBeLessThanOrEqualTo(2);
    }
}
