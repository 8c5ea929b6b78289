using Vanto.Core.Load;
using Vanto.Core.Unit;

namespace Vanto.Core.Energy;

/// <summary>Moisture of a rig's air that its own unit, never short of power, leaves while it holds the rig.</summary>
internal static class HeldMoisture
{
    private const double StepS = 900;
    private const int MostDays = 12;
    private const double Repeated = 1e-5;

    /// <summary>Humidity ratio at a step of the day, the days before being alike; of a row of weather that does not repeat, at its beginning.</summary>
    /// <param name="day">The rig's day.</param>
    /// <param name="inputs">What is held otherwise, and the unit.</param>
    /// <param name="first">Step of the day.</param>
    public static double At(RigDay day, EnergyInputs inputs, int first)
    {
        var (space, drivers) = (day.Space, day.Drivers);
        var atFirst = Math.Min(space.SetpointRatio, drivers.OutdoorRatio[0]);
        if (drivers.Steps * day.Seconds != 86400)
            return atFirst;
        var model = new ThermalSpace(space);
        model.Prepare(day.Seconds);
        model.CopyStateFrom(day.Settled);
        var held = Math.Max(1, (int)(StepS / day.Seconds));
        var steps = drivers.Steps / held;
        var (air, sensible) = (new double[steps], new double[steps]);
        for (var k = 0; k < steps * held; k++)
        {
            var (convective, radiant) = drivers.GainSplit(k);
            model.Begin(drivers.At(k), drivers.OutdoorC[k], convective, radiant);
            var at = Math.Min(model.HubB / model.HubA, inputs.Energy.OtherwiseC);
            sensible[k / held] += Math.Max(0, model.HubB - model.HubA * at) / held;
            model.End(at);
            air[k / held] = at;
        }
        var coil = new RoomCoil(inputs.Unit, space.Weather.PressurePa);
        var moisture = space.Moisture(atFirst);
        var wanted = first / held % steps;
        double ratio;
        var days = 0;
        do
        {
            ratio = moisture.Ratio;
            for (var k = 0; k < steps; k++)
            {
                var step = (wanted + k) % steps;
                Advance(step * held, air[step], sensible[step]);
            }
        }
        while (Math.Abs(moisture.Ratio - ratio) > Repeated && ++days < MostDays);
        return moisture.Ratio;

        void Advance(int k, double airC, double sensibleW)
        {
            moisture.Begin(drivers.OutdoorRatio[k], drivers.LatentW(k));
            if (sensibleW <= 0)
            {
                moisture.End(day.Seconds * held, airC);
                return;
            }
            var unit = inputs.Unit;
            var full = Performance.FullLoad(unit, drivers.OutdoorC[k], Math.Max(Performance.LowestWetBulbC, coil.WetBulb(airC, moisture.Ratio)),
                inputs.UnitDesign.InletRiseK)
                .Times(Capacity.PlaceFactor(space.Weather.PressurePa, inputs.UnitDesign.AirFlowShare));
            coil.Enter(airC, moisture.Ratio, full.CapacityW);
            var wants = Math.Min(coil.ForSensible(sensibleW, !unit.FanRestsWithCompressor), unit.MaxShare * full.CapacityW);
            var point = coil.Mean(wants, wants / full.CapacityW, !unit.FanRestsWithCompressor);
            moisture.End(day.Seconds * held, airC, point.WetKgS, point.Ratio);
        }
    }
}
