using System.Text.Json;
using Vanto.Core.Energy;
using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using Vanto.Web.Demo;

namespace Vanto.Bench;

/// <summary>Writes what the programs under tests/references start from: skins in layers and what drives them, of some demo rigs.</summary>
public static class ReferenceInputs
{
    /// <summary>Rigs that are solved again outside the project.</summary>
    private static readonly string[] Rigs = ["Marigold", "Gannet's Rest", "Pipit"];

    private static readonly JsonSerializerOptions Json = new() { PropertyNamingPolicy = JsonNamingPolicy.CamelCase };

    /// <summary>Writes one file a rig, and its design beside it.</summary>
    public static void Write(string folder)
    {
        Directory.CreateDirectory(folder);
        foreach (var rig in DemoRigs.Designs.Where(d => Rigs.Contains(d.Name)))
        {
            var (day, load) = RigDay.Of(rig.Survey, rig.Load);
            var name = Path.Combine(folder, rig.Name.Replace("'", "").Replace(' ', '-').ToLowerInvariant());
            File.WriteAllText(name + ".design.json", JobFile.Write(rig));
            File.WriteAllText(name + ".json", JsonSerializer.Serialize(Of(rig, day, load.PeakHour), Json));
        }
        File.WriteAllText(Path.Combine(folder, "kit.json"), JsonSerializer.Serialize(Kit(DemoRigs.Designs[0]), Json));
    }

    /// <summary>What a search for the smallest kit begins with: the unit's draw and the sun on the design day and on cloudy ones, and banks of 1 to 10
    /// blocks.</summary>
    private static object Kit(JobDesign rig)
    {
        var survey = rig.Survey with { Sources = rig.Survey.Sources with { Modules = rig.Survey.Sources.Modules with { ShadeRoof = false } } };
        var aim = rig.Energy with { StartSoc = 1 };
        var (sources, day) = (survey.Sources, RigDay.Of(survey, rig.Load).Day);
        var inputs = new EnergyInputs(survey, rig.Load, rig.Unit, UnitCatalogue.Find(rig.Unit.Chosen)!, aim, rig.Start.ReserveSoc);
        object Days(RigDay run, int first)
        {
            var demand = new DayRun(inputs with { Day = run }, run, 300, 3).Demand();
            var steps = Enumerable.Range(first, demand.Steps - first).ToList();
            return new
            {
                ac = steps.Select(k => demand.AcLoadW[k] + demand.AirconW![k]),
                dc = steps.Select(k => demand.DcLoadW[k]),
                perModule = steps.Select(k => demand.IrradianceWm2[k] <= 0 ? 0 : demand.Modules.ControllerEfficiency * Modules.Power(1, demand.Modules.RatedW,
                    demand.IrradianceWm2[k], demand.OutdoorC[k] + demand.Modules.Ross * demand.IrradianceWm2[k], demand.Modules.Gamma, demand.Modules.Losses)),
            };
        }
        var inverter = SourceBuilder.Inverter(sources.Inverter);
        return new
        {
            reserve = rig.Start.ReserveSoc,
            inverter = new { inverter.RatedW, inverter.IdleW, inverter.Linear, inverter.Quadratic },
            design = Days(day, 2 * 288),
            cloudy = Days(day.UnderCloud(0.35), 0),
            banks = Enumerable.Range(1, 10).Select(blocks =>
            {
                var bank = SourceBuilder.Bank(sources.Battery with { Blocks = blocks });
                double[] soc = [.. Enumerable.Range(0, 101).Select(i => i / 100.0)];
                return new { bank.CapacityAh, bank.AmpHours, ocv = soc.Select(bank.OpenCircuitVoltage), ohm = soc.Select(bank.Resistance) };
            }),
        };
    }

    private static object Of(JobDesign rig, RigDay day, int peakHour)
    {
        var (space, drivers) = (day.Space, day.Drivers);
        double[] Series(int chain) => [.. Enumerable.Range(0, drivers.Steps).Select(k => Math.Round(drivers.At(k)[chain], 4))];
        var gains = Enumerable.Range(0, drivers.Steps).Select(drivers.GainSplit).ToList();
        // Twice as large, so that none of these rigs brings it to its full power.
        var small = UnitCatalogue.Find("MS-26-230")!;
        var unit = small with
        {
            RatedCapacityW = 2 * small.RatedCapacityW,
            RatedPowerW = 2 * small.RatedPowerW,
            MinCapacityW = 2 * small.MinCapacityW,
            MaxCapacityW = 2 * small.MaxCapacityW,
        };
        return new
        {
            space.SetpointC,
            peakHour,
            pressurePa = space.Weather.PressurePa,
            space.VolumeM3,
            space.FloorM2,
            space.MassJm2K,
            massCouplingWm2K = space.MassCouplingWm2K,
            airDensity = space.AirDensity,
            airHeatJkgK = MoistAir.HeatCapacity(space.SetpointRatio),
            space.SetpointRatio,
            exchangeKgS = space.InfiltrationKgS,
            infiltrationWK = space.InfiltrationWK,
            faces = space.Faces.Select((f, i) => new
            {
                f.Name,
                f.AreaM2,
                filmWm2K = ThermalSpace.OutsideFilm(f, space.Weather.WindMs),
                insideR = Layers.InsideFilmCooling(f.TiltDeg),
                bridgeWm2K = f.ExtraTransmittance,
                layers = f.Layers.Select(l => l.Solid is { } m
                    ? new { thicknessM = l.ThicknessM, conductivity = m.ConductivityWmK, density = m.DensityKgM3, heat = m.SpecificHeatJkgK, gapR = 0.0 }
                    : new { thicknessM = 0.0, conductivity = 0.0, density = 0.0, heat = 0.0, gapR = l.GapResistance }),
                drive = Series(i),
            }),
            windows = space.Windows.Select((w, i) => new
            {
                w.Name,
                w.AreaM2,
                coveredU = w.CoveredU,
                insideR = Layers.InsideFilmCooling(w.TiltDeg),
                drive = Series(space.Faces.Count + i),
            }),
            outdoorC = drivers.OutdoorC,
            outdoorRatio = drivers.OutdoorRatio,
            convectiveW = gains.Select(g => g.Convective),
            radiantW = gains.Select(g => g.Radiant),
            latentW = Enumerable.Range(0, drivers.Steps).Select(drivers.LatentW),
            unit = new
            {
                unit.Id,
                unit.RatedCapacityW,
                unit.RatedPowerW,
                unit.MinCapacityW,
                unit.MaxCapacityW,
                idleW = unit.FanRestsWithCompressor ? unit.StandbyPowerW : unit.FanPowerW,
                unit.CyclingDegradation
            },
            inletRiseK = rig.Unit.InletRiseK,
            placeFactor = Capacity.PlaceFactor(space.Weather.PressurePa, rig.Unit.AirFlowShare),
        };
    }
}
