using Vanto.Core.Findings;
using Vanto.Core.Load;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Unit;

namespace Vanto.Core.Commission;

/// <summary>Rows of the start-up that stand only where their readings were taken: sag, power factor, capacity, heating. Bands are common practice.</summary>
internal static class StartUpRows
{
    private const double SagPass = 0.10, SagMost = 0.20;
    private const double FactorPass = 0.85, FactorLow = 0.60, FactorMost = 1.02;
    private const double CapacityPass = 0.85, CapacityLow = 0.70;
    private const double NearK = 2;

    /// <summary>Those that can be judged; the heating where the job asks for it.</summary>
    public static IEnumerable<VerdictRow> Of(StartUpReadings r, StartUpFacts facts)
    {
        var (unit, load, heads) = (facts.Unit, facts.Load, facts.Circuit.Heads);
        if (r is { RestV: { } rest, SagV: { } low })
            yield return Sag(rest, low);
        if (!unit.IsDc && r is { RunV: { } volts, RunA: { } amps, RunW: { } watts })
            yield return Factor(volts, amps, watts);
        if (r is { EnteringC: { } into, EnteringRhPct: { } intoRh, LeavingC: { } leaving, LeavingRhPct: { } leavingRh, AirM3s: { } flow })
            foreach (var row in Capacity(r, unit, load, new AirReading(into, intoRh / 100), new AirReading(leaving, leavingRh / 100), flow))
                yield return row;
        if (facts.Heats && unit.HeatingW > 0)
            yield return Heating(r, unit, load);
        if (r is { DrainPouredM3: { } poured, DrainOutM3: { } ran })
            yield return Drain(poured, ran);
        if (heads > 1 && (r.ZonesAlone is not null || r.ZonesW is not null))
            yield return Zones(r, heads);
        foreach (var row in RunningRows.Of(r, facts))
            yield return row;
    }

    private const double LeastPouredM3 = 1e-3, DrainPass = 0.9, DrainLow = 0.6;

    /// <summary>Water is poured, at least a litre; what stays in the tray stays in the wall later. Common practice, no published source.</summary>
    private static VerdictRow Drain(double poured, double ran)
    {
        var share = ran / poured;
        var verdict = share > 1.05 ? BandVerdict.Caution : poured < LeastPouredM3 ? BandVerdict.Caution : share >= DrainPass ? BandVerdict.Pass
            : share >= DrainLow ? BandVerdict.Caution : BandVerdict.Stop;
        return new VerdictRow("drain", "Drain, poured and run out", new Measure(ran, QuantityKind.SmallVolume), new Measure(poured, QuantityKind.SmallVolume),
            Phrase.Of($"≥ 90 % of a litre or more"), verdict, share > 1.05 ? Phrase.Of($"More came out than was poured: read again.")
                : poured < LeastPouredM3 ? Phrase.Of($"{poured:SmallVolume} is too little to show a trap or a sag: pour a litre.")
                : verdict == BandVerdict.Pass ? Phrase.Of($"{share:Fraction} ran out.")
                : Phrase.Of($"Only {share:Fraction} ran out: a sag, no fall, or the end stands in water. Look indoors for the rest."),
            Working.Start().Step("x", "out/poured", $"{ran * 1000:0.##}/{poured * 1000:0.##} L", share, "", Citations.Trade).Done());
    }

    /// <summary>Every zone alone, then all together. Common practice, no published source.</summary>
    private static VerdictRow Zones(StartUpReadings r, int heads)
    {
        var alone = r.ZonesAlone ?? 0;
        var verdict = alone < heads ? BandVerdict.Stop : r.ZonesW is null ? BandVerdict.Caution : BandVerdict.Pass;
        return new VerdictRow("zones", "Zones, each alone and together", new Measure(alone, QuantityKind.Count), new Measure(heads, QuantityKind.Count),
            Phrase.Of($"each of them, then all"), verdict, alone < heads
                ? Phrase.Of($"{alone:Count} of {heads:Count} ran alone: pipes or wires of two zones may be crossed.")
                : r.ZonesW is { } watts ? Phrase.Of($"Each ran alone; together they take {watts:ElectricPower}.")
                : Phrase.Of($"Each ran alone; all together was not tried."),
            Working.Start().Given("n", "zones that ran alone", alone, "", Citations.Trade).Done());
    }

    private static VerdictRow Sag(double rest, double low)
    {
        var share = 1 - low / rest;
        return new VerdictRow("sag", "Volts lost as it starts", new Measure(share, QuantityKind.Fraction), new Measure(SagPass, QuantityKind.Fraction),
            Phrase.Of($"≤ 10 %, at most 20 %"), share <= SagPass ? BandVerdict.Pass : share <= SagMost ? BandVerdict.Caution : BandVerdict.Stop,
            Phrase.Of($"From {rest:Voltage} to {low:Voltage}."), Working.Start().Given("V₀", "before", rest, "V", Citations.Arithmetic)
                .Step("s", "1 − V/V₀", $"{low:0.#}/{rest:0.#}", share, "", Citations.VerdictBands).Done());
    }

    private static VerdictRow Factor(double volts, double amps, double watts)
    {
        var factor = watts / (volts * amps);
        var verdict = factor > FactorMost ? BandVerdict.Caution : factor >= FactorPass ? BandVerdict.Pass : factor >= FactorLow ? BandVerdict.Note
            : BandVerdict.Caution;
        return new VerdictRow("pf", "Power factor", new Measure(factor, QuantityKind.Ratio), new Measure(FactorPass, QuantityKind.Ratio),
            Phrase.Of($"≥ 0.85"), verdict, factor > FactorMost ? Phrase.Of($"Watts are more than volts times amperes: the readings do not belong together.")
                : Phrase.Of($"{watts:ElectricPower} of {volts * amps:ApparentPower}."),
            Working.Start().Step("pf", "P/(V·I)", $"{watts:0.#}/({volts:0.#} × {amps:0.##})", factor, "", Citations.Arithmetic).Done());
    }

    private static IEnumerable<VerdictRow> Capacity(StartUpReadings r, AcUnit unit, LoadAssessment load, AirReading back, AirReading leaving, double flow)
    {
        var pressure = load.Space.Weather.PressurePa;
        var air = AirSide.Of(back, leaving, flow, r.AirAtOutlet, pressure);
        var ratio = MoistAir.RatioFromRh(back.C, 100 * back.Rh, pressure);
        var full = Performance.FullLoad(unit, r.OutdoorC ?? load.OutdoorC[load.PeakHour], MoistAir.WetBulb(back.C, ratio, pressure));
        var working = Working.Start().Given("V̇", "air flow", flow, "m³/s", Citations.Arithmetic)
            .Step("Q", "ṁ·[(h_r − h_s) − (W_r − W_s)·c_w·t_s]", $"{back.C:0.#} °C {back.Rh:0.##}, {leaving.C:0.#} °C {leaving.Rh:0.##}",
                air.TotalW, "W", Citations.AirSide)
            .Step("U", "2·√Σ(∂Q/∂x·u)²", $"0.5 K, 0.03, 10 %", air.UncertaintyW, "W", Citations.AirSide).Done();
        yield return Judged("capacity", "Cooling at the air", air.TotalW, full.CapacityW, QuantityKind.Power, air.UncertaintyW / full.CapacityW, working,
            Phrase.Of($"≥ 85 %; by hand it is known to ±{air.UncertaintyW:Power} only"));
        if (r.RunW is { } watts && !unit.IsDc)
            yield return Judged("eer", "Cooling for each watt", air.TotalW / watts, full.CapacityW / full.PowerW, QuantityKind.Ratio,
                air.UncertaintyW / full.CapacityW, Working.Start().Include(working).Step("EER", "Q/P", $"{air.TotalW:0}/{watts:0}", air.TotalW / watts, "",
                    Citations.Arithmetic).Done(), Phrase.Of($"≥ 85 %"));
    }

    /// <summary>Nothing is called bad by the air side alone while its uncertainty reaches the band.</summary>
    private static VerdictRow Judged(string id, string label, double measured, double expected, QuantityKind kind, double uncertain, Working working,
        Phrase band)
    {
        var share = measured / expected;
        var verdict = share >= CapacityPass ? BandVerdict.Pass : share >= CapacityLow || share + uncertain >= CapacityPass ? BandVerdict.Caution
            : BandVerdict.Stop;
        return new VerdictRow(id, label, new Measure(measured, kind), new Measure(expected, kind), band, verdict,
            Phrase.Of($"{share:Fraction} of what it should give at full speed; turned down it gives less and is well."), working);
    }

    private static VerdictRow Heating(StartUpReadings r, AcUnit unit, LoadAssessment load)
    {
        var pressure = load.Space.Weather.PressurePa;
        var flow = Unit.Capacity.FlowPerWatt * unit.RatedCapacityW;
        var into = r.HeatEnteringC ?? HeatedC;
        var mass = flow / MoistAir.SpecificVolume(into, MoistAir.RatioFromRh(into, HeatedRhPct, pressure), pressure);
        var capacity = HeatingLoad.At(unit.HeatingCurve, r.HeatOutdoorC ?? RatedHeatingC);
        var expected = capacity / (mass * MoistAir.HeatCapacity(0));
        var working = Working.Start().Given("V̇", "air flow, 0.05 m³/s for each kW rated", flow, "m³/s", Citations.Trade)
            .Step("Δt", "Q/(ṁ·c_p)", $"{capacity:0} W, {mass:0.####} kg/s", expected, "K", Citations.AirSide).Done();
        var band = Phrase.Of($"within 20 % or {NearK:TemperatureDifference} of expected");
        if (r is not { HeatEnteringC: { } entering, HeatLeavingC: { } leaving })
            return new VerdictRow("heating", "Heating: air out less air in", null, new Measure(expected, QuantityKind.TemperatureDifference), band,
                BandVerdict.NotDone, Phrase.Of($"not taken"), working);
        var rise = leaving - entering;
        var share = rise / expected;
        var verdict = rise <= 0 ? BandVerdict.Stop : Math.Abs(rise - expected) <= NearK || share is >= 0.8 and <= 1.2 ? BandVerdict.Pass
            : share < 0.5 ? BandVerdict.Stop : BandVerdict.Caution;
        return new VerdictRow("heating", "Heating: air out less air in", new Measure(rise, QuantityKind.TemperatureDifference),
            new Measure(expected, QuantityKind.TemperatureDifference), band, verdict, rise <= 0
                ? Phrase.Of($"It blows cold: the valve that turns the circuit round does not move, or it defrosts. Wait ten minutes and read again.")
                : share < 0.8 && verdict != BandVerdict.Pass ? Phrase.Of($"{share:Fraction} of expected: turned down, defrosting, or little charge.")
                : Phrase.Of($"{share:Fraction} of expected."), working);
    }

    /// <summary>Room and outdoor air of the rating point for heating, 47 °F outdoors (AHRI 210/240, from memory).</summary>
    private const double HeatedC = 20, HeatedRhPct = 50, RatedHeatingC = 8.3;
}
