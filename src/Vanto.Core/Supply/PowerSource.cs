using System.Numerics;
using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>Kinds of source that a unit starts on.</summary>
public enum SourceClass
{
    [Called("high-frequency inverter")] HighFrequencyInverter,
    [Called("transformer inverter")] TransformerInverter,
    [Called("power station")] PowerStation,
    [Called("inverter generator")] InverterGenerator,
    [Called("conventional generator")] ConventionalGenerator,
    [Called("shore")] Shore,
}

/// <summary>Breaker families.</summary>
public enum BreakerFamily { NorthAmerican, IecB, IecC, IecD }

/// <summary>The battery behind an inverter.</summary>
public sealed record DcSide(BatteryBank Bank, double Soc, double CableOhm, InverterModel Inverter);

/// <summary>A source with what it bears. Volts and amperes RMS, watts continuous.</summary>
public sealed record PowerSource
{
    public required SourceClass Class { get; init; }
    public required double Volts { get; init; }
    public double ContinuousW { get; init; }
    public BearingCurve? Curve { get; init; }

    /// <summary>Current above which the source folds its voltage back, as a multiple of the continuous current; infinite where there is none.</summary>
    public double LimitRatio { get; init; } = double.PositiveInfinity;
    public Complex Impedance { get; init; }
    public double CollapseShare { get; init; }
    public double CollapseDelayS { get; init; }
    public double BreakerA { get; init; }
    public BreakerFamily Breaker { get; init; }
    public DcSide? Dc { get; init; }

    /// <summary>The same source bearing so many times as much for a short time, where that is not known well; shore's breaker is.</summary>
    public PowerSource Bearing(double factor) => this with { Curve = Curve?.Times(factor), LimitRatio = LimitRatio * factor };

    /// <summary>Continuous current, A.</summary>
    public double ContinuousA => Class == SourceClass.Shore ? BreakerA : ContinuousW / Volts;

    /// <summary>Foldback current, A.</summary>
    public double LimitA => LimitRatio * ContinuousA;

    /// <summary>True where engine watts, not amperes, are limited.</summary>
    public bool IsEngineLimited => Class == SourceClass.ConventionalGenerator;

    /// <summary>An inverter of a class, with or without its battery.</summary>
    public static PowerSource OfInverter(SourceClass kind, double volts, double continuousW, DcSide? dc = null) => new()
    {
        Class = kind,
        Volts = volts,
        ContinuousW = continuousW,
        Dc = dc,
        Curve = kind switch
        {
            SourceClass.TransformerInverter => BearingCurve.TransformerInverter,
            SourceClass.PowerStation => BearingCurve.PowerStation,
            _ => BearingCurve.HighFrequencyInverter,
        },
        LimitRatio = kind == SourceClass.TransformerInverter ? 3.0 : 2.0,
        CollapseShare = 0.70,
        CollapseDelayS = 0.2,
    };

    /// <summary>A generator by rated and maximum watts, both already derated.</summary>
    public static PowerSource OfGenerator(GeneratorKind kind, double volts, double ratedW, double maximumW) => kind == GeneratorKind.Inverter
        ? new PowerSource
        {
            Class = SourceClass.InverterGenerator,
            Volts = volts,
            ContinuousW = ratedW,
            Curve = BearingCurve.InverterGenerator(ratedW, maximumW),
            LimitRatio = 1.5,
            CollapseShare = 0.70,
            CollapseDelayS = 0.2,
        }
        : new PowerSource
        {
            Class = SourceClass.ConventionalGenerator,
            Volts = volts,
            ContinuousW = ratedW,
            Curve = BearingCurve.ConventionalGenerator(ratedW, maximumW),
            Impedance = new Complex(0.02, 0.20) * volts * volts / ratedW,
            CollapseShare = 0.65,
            CollapseDelayS = 0.05,
        };

    /// <summary>A shore pedestal: impedance by voltage, breaker by family.</summary>
    public static PowerSource OfShore(double volts, double breakerA, BreakerFamily breaker) => new()
    {
        Class = SourceClass.Shore,
        Volts = volts,
        ContinuousW = volts * breakerA,
        BreakerA = breakerA,
        Breaker = breaker,
        Impedance = volts < 150 ? new Complex(0.15, 0.05) : new Complex(0.40, 0.25),
    };

    /// <summary>Soonest and latest tripping of the breaker.</summary>
    public (BearingCurve Min, BearingCurve Max) BreakerBands() => Breaker == BreakerFamily.NorthAmerican
        ? (BearingCurve.BreakerNaMin, BreakerA <= 30 ? BearingCurve.BreakerNaMaxSmall : BearingCurve.BreakerNaMaxLarge)
        : (BearingCurve.BreakerIecMin, BearingCurve.BreakerIecMax);

    /// <summary>Multiples of the breaker's peak rating at which it may and must trip at once.</summary>
    public (double May, double Must) MagneticBand() => Breaker switch
    {
        BreakerFamily.NorthAmerican => (8, 20),
        BreakerFamily.IecB => (3, 5),
        BreakerFamily.IecC => (5, 10),
        _ => (10, 20),
    };
}

/// <summary>Another load on the same source while the unit starts.</summary>
/// <param name="Name">As the fitter calls it.</param>
/// <param name="PowerW">What it draws.</param>
/// <param name="PowerFactor">Real over apparent power.</param>
/// <param name="Sheddable">It may be switched off for the start.</param>
/// <param name="OwnFan">The fan of the unit itself, which is no other load.</param>
public sealed record NeighbourLoad(string Name, double PowerW, double PowerFactor, bool Sheddable, bool OwnFan = false);
