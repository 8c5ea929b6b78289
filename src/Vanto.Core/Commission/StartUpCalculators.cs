using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Commission;

/// <summary>A row of a supplier's chart as typed.</summary>
public sealed record ChartRowInput : DesignPart
{
    [Field(Temperature, -60, 90, Label = "At")] public double C { get; init; }
    [Field(AbsolutePressure, 1000, 8e6, Label = "liquid, absolute")] public double BubblePa { get; init; } = 8e5;
    [Field(AbsolutePressure, 1000, 8e6, Label = "vapour, absolute")] public double DewPa { get; init; } = 8e5;
}

/// <summary>Inputs of <see cref="StartUpCalculators.Chart"/>.</summary>
public sealed record ChartInput : DesignPart
{
    [Ask("Rows of the supplier's chart", Most = 60)]
    public IReadOnlyList<ChartRowInput> Rows { get; init; } =
    [
        new() { C = 0, BubblePa = 800705, DewPa = 798083 }, new() { C = 10, BubblePa = 1087956, DewPa = 1084818 },
        new() { C = 20, BubblePa = 1446670, DewPa = 1442927 }, new() { C = 30, BubblePa = 1887820, DewPa = 1883408 },
    ];
    [Field(Temperature, -60, 90, Label = "Wanted at")] public double WantedC { get; init; } = 14;
}

/// <summary>Inputs of <see cref="StartUpCalculators.StartSag"/>.</summary>
public sealed record StartSagInput : DesignPart
{
    [Field(Voltage, 8, 280, Label = "Volts with nothing on")] public double RestV { get; init; } = 121.4;
    [Field(Voltage, 8, 280, Label = "Volts with a light load")] public double LoadedV { get; init; } = 119.6;
    [Field(Current, 0.5, 100, Label = "Amperes of that load")] public double LoadA { get; init; } = 3.2;
    [Field(Current, 1, 300, Label = "Amperes at the start")] public double StartA { get; init; } = 38;
}

/// <summary>Inputs of <see cref="StartUpCalculators.Way"/>.</summary>
public sealed record EvacuationWayInput : DesignPart
{
    [Ask("A charged set")] public bool Charged { get; init; }
    [Ask("Uncut, its couplings never parted")] public bool Uncut { get; init; }
    [Ask("Parted once, both valves shut, capped at once")] public bool RejoinedTight { get; init; }
    [Ask("The manual allows that")] public bool ManualAllows { get; init; } = true;
    [Ask("The manual asks for a figure in micron")] public bool ManualAsksMicron { get; init; }
    [Ask("A micron gauge is at hand")] public bool MicronGauge { get; init; } = true;
    [Ask("An electric pump is at hand")] public bool Pump { get; init; } = true;
    [Ask("The source carries it")] public bool SourceCarriesPump { get; init; } = true;
    [Ask("A hand pump is at hand")] public bool HandPump { get; init; }
}

/// <summary>Calculations beside the first start, for the Bench and the API.</summary>
public static class StartUpCalculators
{
    /// <summary>Pressure of a refrigerant by its supplier's chart.</summary>
    [Calculator("supplier-chart", "Pressure by the supplier's chart", "A refrigerant without an equation here, by rows that you type",
        CitationIds = [nameof(Citations.Arithmetic)])]
    public static CalculationResult Chart(ChartInput i)
    {
        var chart = new SupplierChart(i.Rows.Select(r => new ChartRow(r.C, r.BubblePa, r.DewPa)));
        return new ResultBuilder()
            .Step("p_l", "Liquid, absolute", "ln p straight in 1/T", $"{i.WantedC} °C", chart.PressurePa(i.WantedC, dew: false), AbsolutePressure,
                Citations.Arithmetic)
            .Step("p_v", "Vapour, absolute", "ln p straight in 1/T", $"{i.WantedC} °C", chart.PressurePa(i.WantedC, dew: true), AbsolutePressure,
                Citations.Arithmetic)
            .Words("from", "By", "the table that you typed; it is as good as its supplier").Done();
    }

    /// <summary>How far a start pulls a source down, by two readings of its volts.</summary>
    [Calculator("start-sag", "Sag of a start, by a light load", "Will it sag out, told by the fan alone", CitationIds = [nameof(Citations.Arithmetic)])]
    public static CalculationResult StartSag(StartSagInput i)
    {
        if (StartStages.SourceOhm(i.RestV, i.LoadedV, i.LoadA) is not { } ohm)
            throw new InputException("loadedV", Phrase.Of($"{i.LoadedV:Voltage}"),
                Phrase.Of($"loadedV must be below the {i.RestV:Voltage} with nothing on; got {i.LoadedV:Voltage}"));
        var (volts, sag) = StartStages.AtStart(i.RestV, ohm, i.StartA);
        return new ResultBuilder().Step("Z", "Source gives way by", "(V₀ − V₁)/I₁", $"({i.RestV} − {i.LoadedV})/{i.LoadA}", ohm, Resistance,
                Citations.Arithmetic)
            .Step("V", "Volts as it starts", "V₀ − Z·I", $"{i.RestV} − {ohm:0.####} × {i.StartA}", volts, Voltage, Citations.Arithmetic)
            .Step("s", "Share lost", "Z·I/V₀", $"{ohm:0.####} × {i.StartA}/{i.RestV}", sag, Fraction, Citations.Arithmetic)
            .Words("says", "It says", sag > StartStages.SagStop ? "soft starter or a larger source first"
                : sag > StartStages.SagCaution ? "it may start; lights dip" : "it starts. Inverters also limit their current: rough for them").Done();
    }

    /// <summary>Which way to prove a circuit dry.</summary>
    [Calculator("evacuation-way", "Which way to prove it dry", "What this kit can prove, and what it cannot see", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Way(EvacuationWayInput i)
    {
        var advice = EvacuationSchools.Advise(new(i.Charged, i.Uncut, i.RejoinedTight, i.ManualAllows, i.ManualAsksMicron, i.MicronGauge, i.Pump,
            i.SourceCarriesPump, i.HandPump));
        var result = new ResultBuilder().Words("way", "Way", advice.School is { } s && advice.Level != Severity.Stop ? Calls.Name(s) : "none")
            .Words("why", "Because", advice.Why);
        if (advice is { School: { } school, Level: not Severity.Stop })
        {
            var row = EvacuationSchools.All.First(r => r.School == school);
            result.Words("shows", "It shows", row.Shows).Words("blind", "It cannot see", row.CannotSee)
                .Step("t", "It takes at most", "by the trade", $"{row.Way}", row.MostMin * 60, Seconds, Citations.Trade);
        }
        return result.Done();
    }
}
