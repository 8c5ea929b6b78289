using Vanto.Core.Load;

namespace Vanto.Core.Unit;

/// <summary>A year at part load: hours that need cooling, hours and energy below the lowest steady capacity, hours above the highest.</summary>
public sealed record PartLoadYear(int CoolingHours, int HoursBelow, double EnergyBelowShare, int UnmetHours, double CyclingLossShare)
{
    /// <summary>Share of the cooling hours that cycle.</summary>
    public double BelowShare => CoolingHours == 0 ? 0 : (double)HoursBelow / CoolingHours;
}

/// <summary>What a turn-down leaves over a year; cycling after the thermostat law and the default degradation of AHRI 210/240 (from memory).</summary>
public static class PartLoadHours
{
    /// <summary>Share of efficiency lost to cycling where the unit's own is not known: the default of AHRI 210/240.</summary>
    public const double DefaultDegradation = 0.25;

    private const double RoomWetBulbC = 17.9;

    /// <summary>Cycles an hour, minutes on and efficiency factor at a load below the lowest capacity.</summary>
    public static (double CyclesPerHour, double OnMinutes, double Efficiency) Cycling(double loadW, double lowestW, double degradation = DefaultDegradation)
    {
        var x = loadW / lowestW;
        return (12 * x * (1 - x), 5 / (1 - x), 1 - degradation * (1 - x));
    }

    /// <summary>Counts a year.</summary>
    /// <param name="year">Hourly loads.</param>
    /// <param name="nominalW">Rated capacity.</param>
    /// <param name="lowestW">Lowest steady capacity at the rating point.</param>
    /// <param name="pressurePa">Of the place.</param>
    /// <param name="degradation">The unit's own loss by cycling.</param>
    public static PartLoadYear Of(YearResult year, double nominalW, double lowestW, double pressurePa, double degradation = DefaultDegradation)
    {
        int cooling = 0, below = 0, unmet = 0;
        double energy = 0, energyBelow = 0, lost = 0;
        for (var h = 0; h < year.SensibleW.Length; h++)
        {
            var load = year.TotalW(h);
            if (year.SensibleW[h] <= 0)
                continue;
            cooling++;
            energy += load;
            var lowest = lowestW * Capacity.OutdoorFactor(year.OutdoorC[h]);
            if (load < lowest)
            {
                below++;
                energyBelow += load;
                lost += load * (1 / Cycling(load, lowest, degradation).Efficiency - 1);
            }
            if (load > Capacity.Derated(nominalW, year.OutdoorC[h], RoomWetBulbC, pressurePa))
                unmet++;
        }
        return new PartLoadYear(cooling, below, energy == 0 ? 0 : energyBelow / energy, unmet, energy == 0 ? 0 : lost / energy);
    }
}
