using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Supply;

namespace Vanto.Core.Commission;

/// <summary>Rows of a unit that runs for a while: hours on the bank, charge by its lines, array, sound. Each stands only where it was read.</summary>
public static class RunningRows
{
    private const double ArrayPass = 0.85, ArrayClips = 0.97;

    /// <summary>Least sun by which an array is judged, W/m²; common practice.</summary>
    public const double LeastSunWm2 = 400;

    private const double VoltsLow = 0.9, AmpsLow = 0.85;
    private const double ValveLeastK = 2, ValveMostK = 8, OrificeK = 2.8;
    private const double SubcoolingLeastK = 3.3, SubcoolingMostK = 9.7, SubcoolingFullK = 15;
    private const double SoundSureDb = 5;

    /// <summary>Those that were read.</summary>
    public static IEnumerable<VerdictRow> Of(StartUpReadings r, StartUpFacts f)
    {
        if (r is { MeanW: { } mean } && f.Sources.Battery.Fitted)
            yield return Hours(mean, (r.ChargePct ?? 100) / 100, f);
        if (f.Circuit.Refrigerant is { } fluid)
        {
            if (r is { GasLinePa: { } gasPa, GasLineC: { } gasC })
                yield return Superheat(r, f, fluid, gasPa, gasC);
            if (r is { LiquidLinePa: { } liquidPa, LiquidLineC: { } liquidC })
                yield return Subcooling(r, f, fluid, liquidPa, liquidC);
        }
        if (r is { ArrayV: { } volts, ArrayA: { } amps, SunWm2: { } sun } && f.Sources.Modules.Count > 0)
            yield return Array(volts, amps, sun, r.CellC, r.OutdoorC, f);
        if (r is { SoundDb: { } sound, SoundM: { } far })
            yield return Sound(sound, far, f);
    }

    private static VerdictRow Hours(double meanW, double charge, StartUpFacts f)
    {
        var (battery, inverter) = (f.Sources.Battery, f.Sources.Inverter);
        var fromBank = f.Unit.IsDc || !inverter.Fitted ? meanW : InverterLosses.Model(inverter).DcPower(meanW);
        var usableWh = battery.BankKWh * 1000 * Math.Max(0, charge - f.ReserveSoc);
        var hours = usableWh / fromBank;
        return new VerdictRow("hours", "Hours on the bank at what it drew", new Measure(hours, QuantityKind.Hours), null,
            Phrase.Of($"a fact, no band"), BandVerdict.Note,
            Phrase.Of($"From {charge:Fraction} down to {f.ReserveSoc:Fraction} with {meanW:ElectricPower}, nothing else on."),
            Working.Start().Given("E", "bank", battery.BankKWh * 1000, "Wh", Citations.Arithmetic)
                .Step("P", "out of the bank, with the inverter's losses", $"{meanW:0} W", fromBank, "W", Citations.Arithmetic)
                .Step("h", "E·(SoC − reserve)/P", $"{usableWh:0}/{fromBank:0}", hours, "h", Citations.Arithmetic).Done());
    }

    private static VerdictRow Superheat(StartUpReadings r, StartUpFacts f, RefrigerantKind fluid, double gasPa, double gasC)
    {
        var superheat = ChargeCheck.Superheat(fluid, gasC, gasPa, f.Circuit.AmbientPa);
        var building = Working.Start().Step("SH", "t_line − t_dew(p)", $"{gasC:0.#} °C, {gasPa / 1e6:0.###} MPa gauge, {Calls.Name(fluid)}", superheat, "K",
            Citations.Refrigerants);
        VerdictRow Row(Measure? expected, PhraseHandler band, BandVerdict verdict, PhraseHandler words) => new("superheat", "Superheat of the gas line",
            new Measure(superheat, QuantityKind.TemperatureDifference), expected, Phrase.Of(band), verdict, Phrase.Of(words), building.Done());

        if (superheat < 0)
            return Row(null, $"above {0.0:TemperatureDifference}", BandVerdict.Caution, $"Below nothing: a reading is wrong, or liquid comes back.");
        if (!f.Unit.SingleSpeed)
            return r.FixedSpeed
                ? Row(null, $"{ValveLeastK:TemperatureDifference} to {ValveMostK:TemperatureDifference} with a valve that steers",
                    superheat is >= ValveLeastK and <= ValveMostK ? BandVerdict.Pass : BandVerdict.Caution,
                    $"{(superheat > ValveMostK ? "Starved: little charge, a kink, a valve shut."
                        : superheat < ValveLeastK ? "Flooded: little air, or too much charge." : "As it should be.")}")
                : Row(null, $"only in the maker's fixed-speed test", BandVerdict.Note,
                    $"An inverter-driven unit moves its pressures with its speed: the charge is proved by weight.");
        if (r is not { EnteringC: { } into, OutdoorC: { } outdoor })
            return Row(null, $"needs the air into the head and outdoors", BandVerdict.Note, $"Without both airs there is no target.");
        var pressure = f.Load.Space.Weather.PressurePa;
        var wet = MoistAir.WetBulb(into, MoistAir.RatioFromRh(into, r.EnteringRhPct ?? f.Load.Space.SetpointRhPct, pressure), pressure);
        var target = ChargeCheck.FixedOrificeTarget(wet, outdoor);
        building = building.Step("target", "((3·WB − 80 − DB)/2)/1.8, in °F", $"{wet:0.#} °C wet, {outdoor:0.#} °C outdoors", target, "K",
            Citations.Trade);
        if (target < ChargeCheck.LeastTargetK)
            return Row(new Measure(target, QuantityKind.TemperatureDifference), $"no band in this weather", BandVerdict.Note,
                $"The charge cannot be judged by superheat in this weather.");
        return Row(new Measure(target, QuantityKind.TemperatureDifference), $"within {OrificeK:TemperatureDifference} of its target",
            Math.Abs(superheat - target) <= OrificeK ? BandVerdict.Pass : BandVerdict.Caution,
            $"{(superheat > target + OrificeK ? "Starved: little charge or a restriction."
                : superheat < target - OrificeK ? "Flooded: too much charge or little air." : "As it should be.")}");
    }

    private static VerdictRow Subcooling(StartUpReadings r, StartUpFacts f, RefrigerantKind fluid, double liquidPa, double liquidC)
    {
        var subcooling = ChargeCheck.Subcooling(fluid, liquidC, liquidPa, f.Circuit.AmbientPa);
        var steady = f.Unit.SingleSpeed || r.FixedSpeed;
        var verdict = subcooling is < 0 or > SubcoolingFullK ? BandVerdict.Caution : !steady ? BandVerdict.Note
            : subcooling is >= SubcoolingLeastK and <= SubcoolingMostK ? BandVerdict.Pass : BandVerdict.Note;
        return new VerdictRow("subcooling", "Subcooling of the liquid line", new Measure(subcooling, QuantityKind.TemperatureDifference), null,
            Phrase.Of($"{SubcoolingLeastK:TemperatureDifference} to {SubcoolingMostK:TemperatureDifference}; the plate wins"), verdict,
            subcooling < 0 ? Phrase.Of($"Below nothing: gas in the liquid line, or a reading is wrong.")
                : subcooling > SubcoolingFullK ? Phrase.Of($"Too much charge, or a restriction.") : Phrase.Of($"By weight is surer."),
            Working.Start().Step("SC", "t_bubble(p) − t_line", $"{liquidC:0.#} °C, {liquidPa / 1e6:0.###} MPa gauge, {Calls.Name(fluid)}", subcooling, "K",
                Citations.Refrigerants).Done());
    }

    private static VerdictRow Array(double volts, double amps, double sun, double? cellC, double? outdoorC, StartUpFacts f)
    {
        var modules = f.Sources.Modules;
        var weather = f.Load.Space.Weather;
        var cell = cellC ?? (outdoorC ?? weather.DryBulbC) + modules.CellRise(weather.WindMs) * sun;
        var expected = Modules.Power(modules.Count, modules.RatedW, sun, cell);
        var watts = volts * amps;
        var share = watts / expected;
        var strings = Math.Max(1, modules.Count / modules.Series);
        var (wantedV, wantedA) = (modules.Series * modules.VmpV * (1 + modules.VocPerK * (cell - 25)), strings * modules.ImpA * sun / 1000);
        var low = volts < VoltsLow * wantedV;
        var thin = amps < AmpsLow * wantedA;
        var verdict = sun < LeastSunWm2 ? BandVerdict.Note : share >= ArrayPass ? BandVerdict.Pass : BandVerdict.Caution;
        var words = sun < LeastSunWm2 ? Phrase.Of($"Too little sun to judge by: {LeastSunWm2:Irradiance} at least.")
            : verdict == BandVerdict.Pass ? Phrase.Of($"{share:Fraction} of what the sun gives.")
            : low && !thin ? Phrase.Of($"Volts are low, amperes are not: a module shaded, bridged by its diode, or turned round.")
            : thin && !low && volts > ArrayClips * wantedV
                ? Phrase.Of($"Amperes are low at high volts: the charger holds back (bank full, or its limit), or a string is off.")
            : thin ? Phrase.Of($"Amperes are low: shade, dirt, or a string is off.")
            : Phrase.Of($"{share:Fraction} of what the sun gives: shade, dirt, warmth.");
        return new VerdictRow("array", "Array against the sun", new Measure(watts, QuantityKind.ElectricPower),
            new Measure(expected, QuantityKind.ElectricPower), Phrase.Of($"≥ 85 % from {LeastSunWm2:Irradiance} on"), verdict, words,
            Working.Start().Given("G", "sun on the modules", sun, "W/m²", Citations.Arithmetic)
                .Given("t_c", cellC is null ? "cells, by the sun and the air" : "cells, as read", cell, "°C", Citations.CellTemperature)
                .Step("P", "n·P_STC·G/1000·(1 + γ(t_c − 25))·0.88", $"{modules.Count} × {modules.RatedW:0} W", expected, "W", Citations.CellTemperature)
                .Step("U", "series·V_mp at that warmth", $"{modules.Series} × {modules.VmpV:0.#} V", wantedV, "V", Citations.CellTemperature)
                .Step("x", "U·I/P", $"{volts:0.#} × {amps:0.##}/{expected:0}", share, "", Citations.Arithmetic).Done());
    }

    private static VerdictRow Sound(double soundDb, double farM, StartUpFacts f)
    {
        var atOne = soundDb + 20 * Math.Log10(farM);
        var label = f.Unit.NoiseOutDb;
        return new VerdictRow("sound", "Sound at 1 m, dB", new Measure(atOne, QuantityKind.Number),
            label is { } plate ? new Measure(plate, QuantityKind.Number) : null, Phrase.Of($"a meter in a phone is ±{SoundSureDb:Count} dB"), BandVerdict.Note,
            atOne > label + SoundSureDb ? Phrase.Of($"Louder than its sheet: a panel, a foot or a pipe sings along.")
                : Phrase.Of($"{soundDb:Number} dB at {farM:Length}, in the open."),
            Working.Start().Step("L₁", "L + 20·log₁₀(r/1 m)", $"{soundDb:0.#} dB at {farM:0.##} m", atOne, "dB", Citations.Arithmetic).Done());
    }
}
