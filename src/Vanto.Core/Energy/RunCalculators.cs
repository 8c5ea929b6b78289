using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;
using Vanto.Core.Unit;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Energy;

/// <summary>Inputs of <see cref="RunCalculators.Step"/>.</summary>
public sealed record BatteryStepInput : DesignPart
{
    [Ask("Chemistry")] public Chemistry Chemistry { get; init; } = Chemistry.Lfp;
    [Field(Count, 1, 32, Label = "Cells in series")] public int Cells { get; init; } = 16;
    [Field(Charge, 5, 10000, Label = "Bank")] public double AmpHours { get; init; } = 200;
    [Field(Fraction, 0, 1, Label = "Charge at the start")] public double Soc { get; init; } = 0.8;
    [Field(ElectricPower, -50000, 50000, Label = "Power, positive charging")] public double PowerW { get; init; } = -1500;
    [Field(Seconds, 1, 900, Label = "For")] public double SecondsLong { get; init; } = 300;
    [Field(Fraction, 0, 0.9, Label = "Never below")] public double Floor { get; init; } = 0.05;
    [Field(Temperature, -20, 60, Label = "Bank temperature")] public double TemperatureC { get; init; } = 25;
    [Field(Fraction, 0.5, 1, Label = "Capacity left by age", Help = "resistance rises with it")] public double CapacityLeft { get; init; } = 1;
    [Field(Resistance, 0, 1, Label = "Links and boards", Help = "empty takes what is typical of the chemistry", Optional = true)]
    public double? ExtraOhm { get; init; }
}

/// <summary>A load of a lumped rig by the hour.</summary>
public sealed record HourlyLoadInput : DesignPart
{
    [Ask("Called")] public string Name { get; init; } = "kettle";
    [Field(ElectricPower, 0, 20000, Label = "Draws")] public double PowerW { get; init; } = 300;
    [Field(HourOfDay, 0, 24, Label = "from")] public double From { get; init; } = 8;
    [Field(HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 17;
    [Ask("Behind the inverter", Help = "else straight on the battery")] public bool BehindInverter { get; init; } = true;
    [Ask("It heats the space")] public bool Inside { get; init; }
}

/// <summary>Inputs of <see cref="RunCalculators.Day"/> and <see cref="RunCalculators.Kit"/>: a rig as one conductance and one capacity.</summary>
public sealed record LumpedDayInput : DesignPart
{
    [Ask("Unit", Options = "units")] public string Unit { get; init; } = "MS-12-120";
    [Field(QuantityKind.Conductance, 5, 2000, Label = "Loss")] public double ConductanceWK { get; init; } = 125;
    [Field(QuantityKind.Number, 50, 20000, Label = "Heat capacity, kJ/K")] public double CapacityKJK { get; init; } = 1400;
    [Field(Temperature, 0, 45, Label = "Outdoors on average")] public double MeanC { get; init; } = 32;
    [Field(TemperatureDifference, 0, 15, Label = "swinging by")] public double SwingK { get; init; } = 6;
    [Field(QuantityKind.Irradiance, 0, 1200, Label = "Sun at noon, level")] public double NoonWm2 { get; init; } = 950;
    [Field(Area, 0, 20, Label = "Sun comes in as through")] public double OpenM2 { get; init; } = 1.6;
    [Field(Temperature, 16, 32, Label = "Set-point from 21 to 7 h")] public double NightC { get; init; } = 25;
    [Field(TemperatureDifference, 0, 8, Label = "warmer by day by")] public double DayWarmerK { get; init; } = 2;
    [Field(Temperature, 12, 26, Label = "Wet bulb inside")] public double WetBulbC { get; init; } = 18.5;
    [Field(ElectricPower, 0, 2000, Label = "Loads on the battery")] public double DcW { get; init; } = 45;
    [Field(ElectricPower, 0, 5000, Label = "Loads behind the inverter")] public double AcW { get; init; } = 120;
    [Field(ElectricPower, 500, 10000, Label = "Inverter")] public double InverterW { get; init; } = 3000;
    [Field(Charge, 20, 5000, Label = "One 48 V lithium battery")] public double BatteryAh { get; init; } = 100;
    [Field(Count, 1, 20, Label = "Batteries, at most in a search")] public int Batteries { get; init; } = 4;
    [Field(ElectricPower, 50, 800, Label = "One module")] public double ModuleW { get; init; } = 410;
    [Field(Count, 0, 30, Label = "Modules, at most in a search")] public int Modules { get; init; } = 6;
    [Field(Fraction, 0, 0.8, Label = "Reserve")] public double Reserve { get; init; } = 0.2;
    [Field(Count, 1, 14, Label = "Days")] public int Days { get; init; } = 1;
    [Ask("A search asks that it lasts", Help = "day after day: the last day repeated until it ends no lower than it began")]
    public LastingAim Lasting { get; init; } = LastingAim.DayAfterDay;
    [Field(Count, 0, 60, Label = "People inside", Help = "75 W of warmth each; beside what the loss and the sun bring")] public int People { get; init; }
    [Field(HourOfDay, 0, 24, Label = "they are there from")] public double PeopleFrom { get; init; }
    [Field(HourOfDay, 0, 24, Label = "to", Help = "equal hours mean all day")] public double PeopleTo { get; init; }
    [Ask("Loads by the hour", Most = 40)] public IReadOnlyList<HourlyLoadInput> Loads { get; init; } = [];
    [Field(Fraction, 0.05, 1, Label = "Charge at the start")] public double StartSoc { get; init; } = 1;
    [Field(ElectricPower, 0, 30000, Label = "Shore gives", Help = "0 where there is none")] public double ShoreW { get; init; }
    [Field(HourOfDay, 0, 24, Label = "Shore is there from")] public double ShoreFrom { get; init; }
    [Field(HourOfDay, 0, 24, Label = "to", Help = "equal hours mean all day")] public double ShoreTo { get; init; }
    [Field(ElectricPower, 0, 10000, Label = "Charger on shore")] public double ChargerW { get; init; }
    [Ask("The inverter helps shore out")] public bool Assist { get; init; }
    [Field(Fraction, 0, 0.9, Label = "The unit stops at a charge of")] public double AirOffSoc { get; init; } = 0.10;
    [Field(Fraction, 0.01, 0.95, Label = "and comes back at")] public double AirOnSoc { get; init; } = 0.20;
    [Field(Fraction, 0, 0.8, Label = "All is cut off at")] public double CutSoc { get; init; } = 0.05;
    [Field(Fraction, 0.01, 0.95, Label = "and comes back at")] public double ReconnectSoc { get; init; } = 0.15;
    [Field(TemperatureDifference, 0.2, 4, Label = "Thermostat of a single-speed unit, from on to off")] public double HysteresisK { get; init; } = 1;
    [Field(TemperatureDifference, 0.1, 3, Label = "Held within")] public double ToleranceK { get; init; } = 0.5;
    [Field(Count, 1, 5, Label = "Minutes a step", Help = "1 or 5; at 1 a single-speed unit is followed as its thermostat switches it")]
    public int StepMinutes { get; init; } = 5;
}

/// <summary>Runs in time on a lumped rig, for the Bench and the API.</summary>
public static class RunCalculators
{
    private const double PersonW = 75;
    private const double HoursADay = 24;

    /// <summary>An hour at the start, while a warm rig comes down to its set-point.</summary>
    private const double SlackHours = 1;

    /// <summary>One step of a bank.</summary>
    [Calculator("battery-step", "One step of a battery", "What a load takes out of a bank, losses told apart",
        CitationIds = [nameof(Citations.Battery), nameof(Citations.Peukert)])]
    public static CalculationResult Step(BatteryStepInput i)
    {
        var bank = new BatteryBank(i.Chemistry, i.Cells, i.AmpHours, i.TemperatureC, i.CapacityLeft, 1 + 2.5 * (1 - i.CapacityLeft), i.ExtraOhm);
        var (mostIn, mostOut) = (bank.MaxCharge(i.Soc, i.SecondsLong).PowerW, bank.MaxDischarge(i.Soc, i.SecondsLong, i.Floor).PowerW);
        if (i.PowerW > mostIn || -i.PowerW > mostOut)
            throw new InputException(InputError.Range("powerW", "powerW, at this charge,", ElectricPower, i.PowerW, -mostOut, mostIn));
        var s = bank.Step(i.Soc, i.PowerW, i.SecondsLong);
        return new ResultBuilder()
            .Step("s'", "Charge after", "s + η·I·Δt/(3600·Q)", $"{i.Soc} + {s.CurrentA:0.###} A × {i.SecondsLong} s", s.Soc, Fraction, Citations.Battery)
            .Step("I", "Current", "root of P = I·Ū + R·I²", $"P {i.PowerW} W", s.CurrentA, Current, Citations.Battery)
            .Step("P_R", "Lost in resistance", "I²·R", $"{s.CurrentA:0.###}² × R", s.ResistiveW, ElectricPower, Citations.Battery)
            .Step("P_c", "Lost in taking charge", "(1 − η)·I·Ū", $"η {bank.Cell.CoulombicEfficiency}", s.CoulombicW, ElectricPower, Citations.Battery)
            .Step("P_k", "Lost to fast discharge", "(I_eff − I)·Ū", $"k {bank.Cell.Peukert}", s.PeukertW, ElectricPower, Citations.Peukert)
            .Number("in", "Takes at most", mostIn, ElectricPower)
            .Number("out", "Gives at most", mostOut, ElectricPower).Done();
    }

    /// <summary>A day or several.</summary>
    [Calculator("energy-day", "Days of a simple rig", "Does it last?", CitationIds = [nameof(Citations.EnergyBalance), nameof(Citations.InverterCurve)])]
    public static CalculationResult Day(LumpedDayInput i)
    {
        var (energyCase, cabin) = Rig(i);
        var r = EnergySimulation.Run(energyCase, cabin);
        return new ResultBuilder()
            .Step("E_u", "The unit takes", "Σ P·Δt", $"{energyCase.Steps} steps of {energyCase.StepS} s", r.Ledger.AirconWh, QuantityKind.Energy,
                Citations.EnergyBalance)
            .Step("E_s", "The sun gives", "Σ N·P·G/1000·…·Δt", $"{i.Modules} × {i.ModuleW} W", r.Ledger.PvAvailableWh, QuantityKind.Energy,
                Citations.Modules)
            .Number("E_c", "of it without a taker", r.Ledger.CurtailedWh, QuantityKind.Energy)
            .Step("s_min", "Lowest charge", "smallest of the run", $"{i.Batteries} × {i.BatteryAh} Ah", r.MinSoc, Fraction, Citations.EnergyBalance)
            .Number("s_end", "Charge at the end", r.EndSoc, Fraction)
            .Number("h", "Hours held", r.HeldHours, QuantityKind.Hours)
            .Judge(RunFindings.Dark(r.CutOffHour) is { } dark ? dark : r.MinSoc < i.Reserve ? Finding.Of(FindingCode.EnergyReserve, Severity.Stop,
                $"It falls to {r.MinSoc:Fraction}, below the reserve of {i.Reserve:Fraction}.") : null)
            .Judge(RunFindings.NotClosing(r.Ledger).FirstOrDefault()).Done();
    }

    /// <summary>The smallest kit of the same rig.</summary>
    [Calculator("size-system", "The smallest battery for each array", "What is the smallest kit that does it?",
        CitationIds = [nameof(Citations.EnergyBalance)])]
    public static CalculationResult Kit(LumpedDayInput i)
    {
        var (energyCase, cabin) = Rig(i);
        var free = EnergySimulation.Run(energyCase with
        {
            Bank = new BatteryBank(Chemistry.Lfp, 16, 1e7),
            Inverter = new EnergyInverter(new InverterModel(1e6, 0), 1e6),
            Modules = energyCase.Modules with { Count = 0 }
        }, cabin);
        var demand = energyCase with { AirconW = free.AirconW, Recorded = false, GiveUpSoc = i.Reserve };
        var day = demand.Cut(demand.Steps / i.Days * (i.Days - 1), demand.Steps / i.Days);
        var least = SystemSizing.Staircase(i.Batteries, i.Modules, kit =>
        {
            EnergyResult From(EnergyCase days, double soc) => EnergySimulation.Run(
                days with { Bank = Bank(i, kit.Batteries), Modules = days.Modules with { Count = kit.Modules }, StartSoc = soc });
            var first = From(demand, i.StartSoc);
            return SystemSizing.MeetsReserve(first, i.Reserve)
                && (i.Lasting == LastingAim.Nights || SystemSizing.Repeats(soc => From(day, soc), first.EndSoc, i.Reserve));
        });
        var result = new ResultBuilder().Step("E_u", "The unit takes", "Σ P·Δt with all the supply it wants", $"{i.Days} days", free.Ledger.AirconWh,
            QuantityKind.Energy, Citations.EnergyBalance);
        for (var a = 0; a < least.Length; a++)
            result.Words($"{a}", $"with {a} modules", least[a] < 0 ? $"more than {i.Batteries}" : FormattableString.Invariant($"{least[a]} batteries"));
        if (free.HeldHours < i.Days * HoursADay - SlackHours)
            result.Judge(RunFindings.UnitLimited(
                Phrase.Of($"With all the supply it wants {i.Unit} holds {free.HeldHours:Hours} of {i.Days * HoursADay:Hours}")));
        return result.Judge(least[^1] < 0 ? RunFindings.NothingHolds(i.Batteries, i.Modules, Phrase.Of($"{i.Days} days")) : null).Done();
    }

    private static BatteryBank Bank(LumpedDayInput i, int batteries) => new(Chemistry.Lfp, 16, i.BatteryAh * batteries, extraResistance: 0.006 / batteries);

    private static (EnergyCase Case, IEnergyCabin Cabin) Rig(LumpedDayInput i)
    {
        var unit = UnitCatalogue.Find(i.Unit) ?? throw new InputException(InputError.NoChoice("unit", i.Unit, UnitCatalogue.All.Select(u => u.Id)));
        if (i.StepMinutes is not (1 or 5))
            throw new InputException("stepMinutes", $"{i.StepMinutes}", "stepMinutes must be 1 or 5");
        if (i.WetBulbC > i.NightC)
            throw new InputException("wetBulbC", Phrase.Of($"{i.WetBulbC:Temperature}"),
                Phrase.Of($"wetBulbC: a wet bulb of {i.WetBulbC:Temperature} cannot be above the air, held at {i.NightC:Temperature} by night"));
        var stepS = i.StepMinutes * 60;
        var hours = Enumerable.Range(0, i.Days * 86400 / stepS).Select(k => (18 + (k + 0.5) * stepS / 3600) % 24).ToArray();
        double[] Map(Func<double, double> f) => Array.ConvertAll(hours, h => f(h));
        double Loads(double h, Func<HourlyLoadInput, bool> which) => i.Loads.Where(l => which(l) && Physics.Day.Within(h, l.From, l.To)).Sum(l => l.PowerW);
        double Warmth(double h) => Loads(h, l => l.Inside) + (Physics.Day.Within(h, i.PeopleFrom, i.PeopleTo) ? i.People * PersonW : 0);
        var outdoor = Map(h => i.MeanC + i.SwingK * Math.Cos(2 * Math.PI * (h - 15) / 24));
        var sun = Map(h => h is > 6 and < 20 ? i.NoonWm2 * Math.Sin(Math.PI * (h - 6) / 14) : 0);
        var energyCase = new EnergyCase
        {
            Unit = unit,
            Bank = Bank(i, i.Batteries),
            StepS = stepS,
            OutdoorC = outdoor,
            IrradianceWm2 = sun,
            SetpointC = Map(h => h is >= 21 or < 7 ? i.NightC : i.NightC + i.DayWarmerK),
            DcLoadW = Map(h => i.DcW + Loads(h, l => !l.BehindInverter)),
            AcLoadW = Map(h => i.AcW + Loads(h, l => l.BehindInverter)),
            StartSoc = i.StartSoc,
            ShoreW = i.ShoreW > 0 ? Map(h => Physics.Day.Within(h, i.ShoreFrom, i.ShoreTo) ? i.ShoreW : 0) : null,
            ChargerAcMaxW = i.ChargerW,
            Assist = i.Assist,
            Levels = new BatteryLevels(i.AirOffSoc, i.AirOnSoc, i.CutSoc, i.ReconnectSoc),
            HysteresisK = i.HysteresisK,
            ToleranceK = i.ToleranceK,
            Inverter = new EnergyInverter(InverterModel.Typical(i.InverterW), i.InverterW),
            Modules = new EnergyModules(i.Modules, i.ModuleW),
        };
        return (energyCase, new LumpedCabin(i.ConductanceWK, i.CapacityKJK * 1000, outdoor, [.. sun.Select((g, k) => i.OpenM2 * g + Warmth(hours[k]))],
            i.NightC + i.DayWarmerK, i.WetBulbC));
    }
}
