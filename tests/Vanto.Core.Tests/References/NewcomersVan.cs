using Vanto.Core.Job;
using Vanto.Core.Start;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.References;

/// <summary>An invented panel van as a newcomer would type it: dark green roof, foam board, two covered windows, nose west at 34° N, 38 °C.</summary>
internal static class NewcomersVan
{
    public static JobDesign Design { get; } = Build();

    private static JobDesign Build()
    {
        var design = RigPresets.New(RigKind.Van, "Newcomer");
        var skin = new SkinDesign { Preset = "van-steel", Insulation = "xps", InsulationM = 0.040, Paint = "white" };
        return design with
        {
            Survey = design.Survey with
            {
                HeadingDeg = 270,
                Place = new PlaceDesign { LatitudeDeg = 34, DryBulbC = 38, NightLowC = 18, HumidityPct = 25 },
                Roof = skin with { Paint = "dark-green" },
                Walls = skin,
                Windows =
                [
                    new WindowDesign { Name = "left window", Side = Side.Left, Cover = "quilted" },
                    new WindowDesign { Name = "right window", Side = Side.Right, Cover = "quilted" },
                ],
                Devices =
                [
                    new DeviceDesign { Name = "fridge", PowerW = 60, Supply = DeviceSupply.Ac, OnAtStart = true, MayWait = true },
                    new DeviceDesign { Name = "kettle", PowerW = 1300, From = 7, To = 7.25, Supply = DeviceSupply.Ac, OnAtStart = false },
                ],
                Sources = new SourcesDesign
                {
                    Battery = new BatteryDesign { Chemistry = Chemistry.Lfp, NominalV = 24, BlockAh = 100, Blocks = 2 },
                    Inverter = new InverterDesign { RatedW = 2000, OutputV = 120 },
                    Modules = new ModulesDesign { Count = 4, RatedW = 200 },
                },
            },
            Unit = new UnitDesign { Chosen = "RT-09-115", InletRiseK = 3 },
            Start = new StartDesign { On = SourceChoice.Inverter },
        };
    }

    /// <summary>The design with its devices changed.</summary>
    public static JobDesign With(Func<DeviceDesign, DeviceDesign> change) =>
        Design with { Survey = Design.Survey with { Devices = [.. Design.Survey.Devices.Select(change)] } };

    /// <summary>The design with its sources changed.</summary>
    public static JobDesign With(Func<SourcesDesign, SourcesDesign> change) =>
        Design with { Survey = Design.Survey with { Sources = change(Design.Survey.Sources) } };
}
