using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Wiring;

/// <summary>Inputs of <see cref="WiringCalculators.Branch"/>.</summary>
public sealed record BranchInput : DesignPart
{
    [Field(Current, 0.1, 150, Label = "Compressor, rated load")] public double CompressorA { get; init; } = 16;
    [Field(Current, 0, 50, Label = "Fans and other motors")] public double OthersA { get; init; } = 1;
    [Field(Current, 0, 80, Label = "Electric heat at the same time")] public double HeaterA { get; init; }
}

/// <summary>Inputs of <see cref="WiringCalculators.Wire"/>.</summary>
public sealed record WireInput : DesignPart
{
    [Ask("Rules")] public RuleBook Rules { get; init; } = RuleBook.NorthAmerica;
    [Ask("Wire")] public WireSize Size { get; init; } = WireSize.Awg12;
    [Ask("Insulation")] public WireInsulation Insulation { get; init; } = WireInsulation.C90;
    [Field(Temperature, -40, 85, Label = "Air round it")] public double AirC { get; init; } = 40;
    [Field(Count, 1, 50, Label = "Conductors with current side by side")] public int Together { get; init; } = 2;
    [Ask("Terminals marked 75 °C")] public bool Terminals75 { get; init; }
    [Ask("In an engine space")] public bool EngineSpace { get; init; }
}

/// <summary>Inputs of <see cref="WiringCalculators.Drop"/>.</summary>
public sealed record DropInput : DesignPart
{
    [Ask("Wire")] public WireSize Size { get; init; } = WireSize.Awg12;
    [Field(Length, 0.1, 500, Label = "One way")] public double WayM { get; init; } = 25;
    [Field(Current, 0.01, 1000, Label = "Current")] public double Amps { get; init; } = 10;
    [Field(Voltage, 5, 600, Label = "Voltage")] public double Volts { get; init; } = 120;
    [Field(Fraction, 0.005, 0.15, Label = "May lose")] public double Share { get; init; } = 0.03;
    [Field(Current, 0, 2000, Label = "Current at the start")] public double StartA { get; init; } = 60;
    [Field(Fraction, 0.3, 1, Label = "its power factor")] public double StartFactor { get; init; } = 0.6;
}

/// <summary>Inputs of <see cref="WiringCalculators.Fits"/>.</summary>
public sealed record TerminalInput : DesignPart
{
    [Ask("Wire")] public WireSize Size { get; init; } = WireSize.Awg10;
    [Ask("Built")] public WireBuild Build { get; init; } = WireBuild.Stranded;
    [Ask("With a ferrule")] public bool Ferrule { get; init; }
    [Field(ConductorArea, 0.5, 150, Label = "Largest stranded wire", Optional = true)] public double? StrandedMm2 { get; init; } = 4;
    [Field(ConductorArea, 0.5, 150, Label = "Largest solid wire", Optional = true)] public double? SolidMm2 { get; init; } = 6;
    [Field(ConductorArea, 0.5, 150, Label = "Largest ferrule", Optional = true)] public double? FerruleMm2 { get; init; }
    [Ask("Conduit")] public ConduitKind Conduit { get; init; } = ConduitKind.Lfnc;
    [Field(Count, 1, 12, Label = "Conductors in it")] public int Wires { get; init; } = 3;
}

/// <summary>Inputs of <see cref="WiringCalculators.Battery"/>.</summary>
public sealed record BatteryCableInput : DesignPart
{
    [Ask("Rules")] public RuleBook Rules { get; init; } = RuleBook.VehicleDc;
    [Field(ElectricPower, 10, 30000, Label = "Inverter, for hours")] public double Watts { get; init; } = 2000;
    [Field(Fraction, 0.5, 0.99, Label = "Its efficiency")] public double Efficiency { get; init; } = 0.9;
    [Field(Voltage, 8, 100, Label = "Lowest volts of the battery")] public double LowestV { get; init; } = 11;
    [Field(Voltage, 10, 110, Label = "Highest, charging")] public double HighestV { get; init; } = 14.6;
    [Field(Length, 0.1, 30, Label = "Cable, one way")] public double WayM { get; init; } = 1.5;
    [Field(Fraction, 0.005, 0.15, Label = "May lose")] public double Share { get; init; } = 0.03;
    [Field(Count, 1, 4, Label = "Cables side by side at most")] public int Parallels { get; init; } = 1;
    [Ask("In an engine space")] public bool EngineSpace { get; init; }
    [Field(Resistance, 0.0001, 1, Label = "One string of the bank")] public double StringOhm { get; init; } = 0.008;
    [Field(Count, 1, 40, Label = "Strings side by side")] public int Strings { get; init; } = 2;
    [Ask("Fuse")] public FuseClass Fuse { get; init; } = FuseClass.ClassT;
}

/// <summary>Inputs of <see cref="WiringCalculators.FirstClosing"/>.</summary>
public sealed record PrechargeInput : DesignPart
{
    [Field(Number, 0.1, 1000, Label = "Capacitors, mF")] public double Mf { get; init; } = 20;
    [Field(Voltage, 5, 600, Label = "Voltage")] public double Volts { get; init; } = 53.6;
    [Field(Resistance, 0.1, 1000, Label = "Filled through")] public double Ohm { get; init; } = 50;
    [Field(Resistance, 0.0001, 1, Label = "Cables and bank")] public double LoopOhm { get; init; } = 0.005;
    [Field(Seconds, 0, 600, Label = "The main contact closes after")] public double AfterS { get; init; } = 3;
}

/// <summary>Inputs of <see cref="WiringCalculators.Modules"/>.</summary>
public sealed record PvWireInput : DesignPart
{
    [Field(Current, 0.5, 30, Label = "Short-circuit current of a module")] public double IscA { get; init; } = 11.4;
    [Field(Count, 1, 20, Label = "Strings together")] public int Strings { get; init; } = 3;
    [Field(Current, 5, 60, Label = "Largest series fuse of a module")] public double SeriesFuseA { get; init; } = 20;
    [Ask("Wire")] public WireSize Size { get; init; } = WireSize.Awg6;
    [Field(Temperature, -20, 85, Label = "Air round it")] public double AirC { get; init; } = 40;
    [Ask("On the hot roof")] public bool OnRoof { get; init; }
    [Field(Count, 1, 40, Label = "Modules in a string")] public int Series { get; init; } = 7;
    [Field(Voltage, 5, 100, Label = "Open voltage of one, as warm as it is")] public double EachV { get; init; } = 32.9;
    [Field(Voltage, -1500, 1500, Label = "The string measures")] public double MeasuredV { get; init; } = 228;
}

/// <summary>Inputs of <see cref="WiringCalculators.WindingNames"/>.</summary>
public sealed record WindingsInput : DesignPart
{
    [Field(Resistance, 0, 1000, Label = "A to B", Help = "empty is open", Optional = true)] public double? AbOhm { get; init; } = 1.5;
    [Field(Resistance, 0, 1000, Label = "A to C", Optional = true)] public double? AcOhm { get; init; } = 6.1;
    [Field(Resistance, 0, 1000, Label = "B to C", Optional = true)] public double? BcOhm { get; init; } = 4.6;
    [Field(Resistance, 0, 2, Label = "Test leads")] public double LeadsOhm { get; init; }
    [Field(Resistance, 0.001, 1, Label = "Steps of the meter")] public double StepOhm { get; init; } = 0.1;
    [Field(Number, 1, 5000, Label = "Capacitor, µF")] public double Microfarad { get; init; } = 40;
    [Field(Voltage, 1, 1000, Label = "its volts, peak")] public double PeakV { get; init; } = 523;
    [Field(Resistance, 100, 1000000, Label = "Bled through")] public double BleedOhm { get; init; } = 20000;
}

/// <summary>Inputs of <see cref="WiringCalculators.Pedestal"/>.</summary>
public sealed record PedestalInput : DesignPart
{
    [Field(Voltage, 90, 260, Label = "Nominal")] public double Nominal { get; init; } = 120;
    [Field(Voltage, 0, 300, Label = "Live to neutral")] public double LiveNeutralV { get; init; } = 121;
    [Field(Voltage, 0, 300, Label = "Neutral to earth")] public double NeutralEarthV { get; init; } = 0.8;
    [Field(Voltage, 0, 300, Label = "Live to earth")] public double LiveEarthV { get; init; } = 120.5;
    [Field(Voltage, 0, 300, Label = "Second leg to neutral")] public double SecondV { get; init; } = 121;
    [Field(Voltage, 0, 600, Label = "Between the legs")] public double BetweenV { get; init; } = 241;
}

/// <summary>Inputs of <see cref="WiringCalculators.Limits"/>.</summary>
public sealed record TestLimitsInput : DesignPart
{
    [Ask("Earth wire")] public WireSize Earth { get; init; } = WireSize.Awg12;
    [Field(Length, 0.1, 500, Label = "Its length")] public double LengthM { get; init; } = 20;
    [Field(Voltage, 5, 1500, Label = "Nominal voltage")] public double Volts { get; init; } = 230;
    [Ask("Breaker curve")] public BreakerCurve Curve { get; init; } = BreakerCurve.C;
    [Field(Current, 1, 125, Label = "Breaker")] public double BreakerA { get; init; } = 16;
    [Field(Current, 0.004, 0.5, Label = "Residual-current device")] public double ResidualA { get; init; } = 0.03;
    [Ask("Extra-low voltage")] public bool ExtraLow { get; init; }
}

/// <summary>Wiring for the Bench and the API. Tables are recalled.</summary>
public static class WiringCalculators
{
    private static WireSize Known(WireSize size) => size == WireSize.Computed ? throw new InputException("size", "computed", "Choose a size.") : size;

    /// <summary>Minimum ampacity and protection.</summary>
    [Calculator("branch-circuit", "Breaker and wire of an air conditioner", "Which breaker to begin with, which never to exceed, what the wire must carry",
        CitationIds = [nameof(Citations.Nec440)])]
    public static CalculationResult Branch(BranchInput i)
    {
        var mode = new RunningMode([i.CompressorA], [i.OthersA], i.HeaterA);
        var (starting, most) = Protection.Of([mode]);
        var (need, rating) = DisconnectRating.Of(i.CompressorA + i.OthersA + i.HeaterA, false);
        var result = new ResultBuilder()
            .Step("MCA", "Wire must carry", "1.25·(largest motor + heat) + others", $"{i.CompressorA}, {i.OthersA}, {i.HeaterA} A", mode.McaA, Current,
                Citations.Nec440)
            .Step("I_175", "1.75 times", "1.75·compressor + rest", $"{i.CompressorA} A", mode.RawA(1.75), Current, Citations.Nec440)
            .Step("I_d", "Breaker to begin with", "next size down, not below MCA", $"{mode.RawA(1.75):0.##} A", starting, Current, Citations.Nec440)
            .Step("I_max", "Breaker at most", "next size down from 2.25 times", $"{mode.RawA(2.25):0.##} A", most, Current, Citations.Nec440)
            .Step("I_dis", "Disconnect must bear", "1.15·sum", $"{i.CompressorA + i.OthersA + i.HeaterA:0.##} A", need, Current, Citations.Nec440);
        return (rating is { } r ? result.Step("I_r", "Disconnect that is made", "next of 30, 60, 100, 200 A", $"{need:0.##} A", r, Current, Citations.Nec440)
            : result.Words("I_r", "Disconnect that is made", "none: two or a switchboard")).Done();
    }

    /// <summary>What a wire carries.</summary>
    [Calculator("wire-ampacity", "What a wire carries", "Its current in warm air, beside others, at its terminals, by the rules of the rig",
        CitationIds = [nameof(Citations.WireTables)])]
    public static CalculationResult Wire(WireInput i)
    {
        var size = Known(i.Size);
        var amps = i.Rules switch
        {
            RuleBook.Iec => Ampacity.OfIec(size, i.Insulation >= WireInsulation.C90, CableMethod.B2, i.AirC, (i.Together + 1) / 2),
            RuleBook.MarineAmerican or RuleBook.MarineIso => Ampacity.Afloat(size, i.Insulation, i.EngineSpace, i.Together < 3 ? 1 : i.Together),
            RuleBook.VehicleDc => Ampacity.Afloat(size, i.Insulation, i.EngineSpace, 1, i.AirC),
            _ => Ampacity.InBuilding(size, i.Insulation, i.AirC, i.Together, i.Terminals75 ? WireInsulation.C75 : WireInsulation.C60)?.Amps,
        };
        return amps is { } carries
            ? new ResultBuilder().Step("I_z", "Carries", "table × air × neighbours, at most the terminals' column",
                $"{Calls.Name(size)}, {i.AirC} °C, {i.Together} together", carries, Current, Citations.WireTables).Done()
            : new ResultBuilder().Words("I_z", "Carries", "nothing: too hot for its insulation").Done();
    }

    /// <summary>Volts lost and longest way.</summary>
    [Calculator("wire-drop", "Volts lost on a wire", "In use and at the start, and how far it reaches", CitationIds = [nameof(Citations.DropFormula)])]
    public static CalculationResult Drop(DropInput i)
    {
        var wire = Conductor.Of(Known(i.Size));
        var ohm = wire.OhmM(wire.Awg ? 75 : 70);
        var lost = VoltageDrop.Volts(i.WayM, i.Amps, ohm);
        var start = VoltageDrop.Volts(i.WayM, i.StartA, ohm, wire.ReactanceM, i.StartFactor);
        return new ResultBuilder()
            .Step("ΔU", "Lost in use", "2·L·I·r", $"{i.WayM} m, {i.Amps} A", lost, Voltage, Citations.DropFormula)
            .Step("p", "of the voltage", "ΔU/U", $"{i.Volts} V", lost / i.Volts, Fraction, Citations.DropFormula)
            .Step("L", "It reaches", "p·U/(2·I·r)", $"{i.Share}", VoltageDrop.Longest(i.Volts, i.Share, i.Amps, ohm), Length, Citations.DropFormula)
            .Step("ΔU_s", "Lost at the start", "2·L·I·(r·cos φ + x·sin φ)", $"{i.StartA} A, {i.StartFactor}", start, Voltage,
                Citations.DropFormula).Done();
    }

    /// <summary>Terminal and conduit.</summary>
    [Calculator("wire-fits", "Will the wire go in", "Into the terminal, and with others into which conduit", CitationIds = [nameof(Citations.Conduits),
        nameof(Citations.Trade)])]
    public static CalculationResult Fits(TerminalInput i)
    {
        var wire = Conductor.Of(Known(i.Size));
        var fill = ConduitFill.Of(i.Conduit, [.. Enumerable.Repeat(ConduitFill.WireMm2(wire.Size), i.Wires)]);
        var result = new ResultBuilder()
            .Step("A", "Section", "of its size", $"{Calls.Name(wire.Size)}", wire.AreaMm2, ConductorArea, Citations.WireTables)
            .Step("d", "Across the copper", "by its strands", $"{Calls.Name(i.Build)}", wire.EnvelopeMm(i.Build) / 1000, SmallLength, Citations.Geometry)
            .Words("", "In the terminal", Calls.Name(TerminalFit.Of(new Terminal(i.SolidMm2, i.StrandedMm2, i.FerruleMm2), wire, i.Build, i.Ferrule)));
        return (fill is { } f ? result.Words("", "Conduit, trade size", $"{f.Size} in").Step("f", "full", "Σ areas/area", $"{i.Wires} wires", f.Fill, Fraction,
            Citations.Conduits) : result.Words("", "Conduit, trade size", "none is wide enough")).Done();
    }

    /// <summary>Battery cable, short and fuse.</summary>
    [Calculator("battery-cable", "Cable and fuse at the battery", "Current, cable, short-circuit current and a fuse that breaks it",
        CitationIds = [nameof(Citations.DcCable), nameof(Citations.WireTables)])]
    public static CalculationResult Battery(BatteryCableInput i)
    {
        var rules = i.Rules == RuleBook.ByRig ? RuleBook.VehicleDc : i.Rules;
        var amps = DcCable.InverterA(i.Watts, i.Efficiency, i.LowestV);
        var found = DcCable.Of(new DcCable.Ask(rules, amps, i.WayM, i.LowestV, i.Share, WireInsulation.C105, i.EngineSpace, 30, i.Parallels));
        var shorted = BankShort.Amps(i.HighestV, i.StringOhm, i.Strings);
        var fuse = DcFuse.RatingA(i.Fuse, amps);
        var breaks = DcFuse.InterruptsA(i.Fuse, i.HighestV);
        return new ResultBuilder()
            .Step("I", "Inverter draws", "P/(η·U)", $"{i.Watts} W, {i.Efficiency}, {i.LowestV} V", amps, Current, Citations.DcCable)
            .Words("", "Cable", found is null ? "none is enough: more cables, a shorter way or a higher voltage"
                : $"{found.Count} × {Calls.Name(found.Size)}, by the {(found.BySize ? "current" : "volts lost")}")
            .Step("I_sc", "Into a short", "U/(R/n)", $"{i.HighestV} V, {i.StringOhm} Ω, {i.Strings}", shorted, Current, Citations.DcCable)
            .Words("", "Fuse", fuse is { } rating ? FormattableString.Invariant($"{rating:0} A") : "none of this class is so large")
            .Words("", "It breaks the short", breaks is not { } most ? "no: not made for these volts" : most >= shorted ? "yes" : "no: it burns on as an arc")
            .Words("", "It protects the cable", found is null || fuse is null ? "not known"
                : fuse <= DcFuse.MostA(rules, found.AmpacityA) ? "yes" : "no: a thicker cable")
            .Done();
    }

    /// <summary>First closing.</summary>
    [Calculator("precharge", "Filling an inverter's capacitors", "How long through a resistor, and what flows when the contact closes",
        CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult FirstClosing(PrechargeInput i)
    {
        var p = Wiring.Precharge.Of(i.Mf / 1000, i.Volts, i.Ohm);
        return new ResultBuilder()
            .Step("τ", "Time constant", "R·C", $"{i.Ohm} Ω, {i.Mf} mF", p.TauS, Seconds, Citations.Geometry)
            .Step("t", "Until 95 %", "−τ·ln 0.05", $"{p.TauS:0.###} s", p.SecondsTo95, Seconds, Citations.Geometry)
            .Step("I", "First moment", "U/R", $"{i.Volts} V", p.PeakA, Current, Citations.Geometry)
            .Step("I_c", "When it closes", "U·e^(−t/τ)/R_loop", $"{i.AfterS} s", p.MissingV(i.Volts, i.AfterS) / i.LoopOhm, Current, Citations.Geometry)
            .Step("I_0", "Closed at once", "U/R_loop", $"{i.LoopOhm} Ω", i.Volts / i.LoopOhm, Current, Citations.Geometry).Done();
    }

    /// <summary>Wires, fuses and volts of modules.</summary>
    [Calculator("pv-wires", "Wires and strings of modules", "Whether the wire bears it, whether strings want fuses, what a string's volts say",
        CitationIds = [nameof(Citations.PvWires)])]
    public static CalculationResult Modules(PvWireInput i)
    {
        var (wire, terminal) = PvCircuit.Carries(Known(i.Size), i.IscA, i.Strings, i.AirC, i.OnRoof, WireInsulation.C75);
        var check = StringCheck.Of(i.Series, i.EachV, i.MeasuredV);
        return new ResultBuilder()
            .Step("I_max", "Current that counts", "1.25·I_sc·n", $"{i.IscA} A, {i.Strings}", PvCircuit.MostA(i.IscA, i.Strings), Current, Citations.PvWires)
            .Step("I_t", "Table must give", "1.5625·I_sc·n", $"{i.IscA} A, {i.Strings}", PvCircuit.BeforeA(i.IscA, i.Strings), Current, Citations.PvWires)
            .Words("", "The wire", wire ? terminal ? "bears it" : "bears it, its terminals do not" : "does not bear it")
            .Words("", "String fuses", !PvCircuit.FusesNeeded(i.IscA, i.Strings, i.SeriesFuseA) ? "not asked"
                : PvCircuit.FuseA(i.IscA) is { } fuse && fuse <= i.SeriesFuseA ? FormattableString.Invariant($"{fuse:0} A each") : "asked, and none is allowed")
            .Words("", "The string", Calls.Name(check.Verdict)).Done();
    }

    /// <summary>Windings and capacitor.</summary>
    [Calculator("windings", "Common, run and start", "Which terminal of a compressor is which, and how long its capacitor is bled",
        CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult WindingNames(WindingsInput i)
    {
        var w = Windings.Of(i.AbOhm, i.AcOhm, i.BcOhm, i.LeadsOhm, i.StepOhm);
        return new ResultBuilder()
            .Words("", "They are", w.Verdict == WindingVerdict.Named ? $"{w.Common} common, {w.Run} run, {w.Start} start" : Calls.Name(w.Verdict))
            .Step("t", "Capacitor safe after", "R·C·ln(U/25 V)", $"{i.BleedOhm} Ω, {i.Microfarad} µF",
                CapacitorDischarge.Seconds(i.Microfarad * 1e-6, i.PeakV, i.BleedOhm, 25), Seconds, Citations.Geometry).Done();
    }

    /// <summary>Pedestal and legs.</summary>
    [Calculator("pedestal", "A pedestal before it is used", "What three readings and two legs say", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Pedestal(PedestalInput i) => new ResultBuilder()
        .Step("U/U_n", "Live to neutral", "measured/nominal; live from 0.85, nothing up to 0.05", $"{i.LiveNeutralV}/{i.Nominal} V", i.LiveNeutralV / i.Nominal,
            Fraction, Citations.Trade)
        .Words("", "The pedestal", Calls.Name(ShoreTest.Of(i.LiveNeutralV, i.NeutralEarthV, i.LiveEarthV, i.Nominal)))
        .Words("", "Two legs", Calls.Name(SplitPhaseTest.Of(i.LiveNeutralV, i.SecondV, i.BetweenV))).Done();

    /// <summary>Limits of tests before power.</summary>
    [Calculator("test-limits", "Limits before power", "Earth, loop, insulation, residual current: what they must come to",
        CitationIds = [nameof(Citations.PowerTests)])]
    public static CalculationResult Limits(TestLimitsInput i)
    {
        var (expected, caution) = TestLimits.Earth(Conductor.Of(Known(i.Earth)), i.LengthM);
        var (loop, measured) = TestLimits.Loop(i.Volts, i.Curve, i.BreakerA);
        var (testV, least) = TestLimits.Insulation(i.Volts, i.ExtraLow);
        return new ResultBuilder()
            .Step("R_e", "Earth, as it should be", "r·L + 0.02 Ω", $"{i.LengthM} m", expected, Resistance, Citations.PowerTests)
            .Step("R_c", "caution from", "+ 0.05 Ω", $"{expected:0.####} Ω", caution, Resistance, Citations.PowerTests)
            .Step("Z_s", "Loop, at most", "U/(upper·I_n)", $"{Calls.Name(i.Curve)} {i.BreakerA} A", loop, Resistance, Citations.PowerTests)
            .Step("Z_m", "measured cold", "two thirds", $"{loop:0.###} Ω", measured, Resistance, Citations.PowerTests)
            .Step("Z_r", "with a residual-current device alone", "50 V/I", $"{i.ResidualA} A", TestLimits.ResidualLoop(i.ResidualA), Resistance,
                Citations.PowerTests)
            .Step("U_t", "Insulation tested at", "by the voltage", $"{i.Volts} V", testV, Voltage, Citations.PowerTests)
            .Step("R_i", "at least", "by the voltage", $"{i.Volts} V", least, Resistance, Citations.PowerTests).Done();
    }
}
