using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Stations;

namespace Vanto.Core.Instruments;

/// <summary>A trace of one channel and who takes it over.</summary>
/// <param name="Instrument">That read it.</param>
/// <param name="Simulated">It was made by a simulation, and says so wherever it stands.</param>
/// <param name="Points">In order of time, values in SI.</param>
public sealed record TakenTrace(string Instrument, bool Simulated, IReadOnlyList<TracePoint> Points);

/// <summary>Who takes readings over, and when.</summary>
/// <param name="Id">A fresh number for each record.</param>
public sealed record Taking(string Person, DateTimeOffset Now, Func<Guid> Id)
{
    internal string By(TakenTrace trace) => FromInstruments.By(Person, trace.Instrument, trace.Simulated);
}

/// <summary>
/// Readings of instruments as readings of the proof: picked, never averaged, each with the minute at which it was read and the name of its instrument.
/// </summary>
public static class FromInstruments
{
    private const int MostOfAHold = 120, MostOfNitrogen = 24, MostOfCooling = 60;
    private const double MinuteMs = 60_000, AbsoluteZeroC = -273.15;

    /// <summary>
    /// A reading of a start-up is the mean of so long, ms, and is steady where its two halves differ by no more than 5 %, 0.5 K or 3 % of humidity; the
    /// product's own choice.
    /// </summary>
    public const long SteadyMs = 60_000;

    private const double SteadyShare = 0.05, SteadyK = 0.5, SteadyRh = 0.03;

    /// <summary>Who and what, as it stands beside each reading.</summary>
    public static string By(string person, string instrument, bool simulated) => $"{person}, {instrument}{(simulated ? ", simulated" : "")}";

    /// <summary>A hold of the vacuum from the moment at which it was shut off.</summary>
    /// <param name="trace">Absolute pressures.</param>
    /// <param name="fromMs">Nothing takes the lowest reading as that moment.</param>
    /// <param name="toMs">Nothing takes all.</param>
    /// <param name="taking">Who takes them over, and when.</param>
    /// <exception cref="InputException">No reading there.</exception>
    public static IReadOnlyList<StationRecord> Vacuum(TakenTrace trace, long? fromMs, long? toMs, Taking taking)
    {
        var picked = Picked(trace, fromMs ?? Trace.LowestAt(trace.Points), toMs, MostOfAHold);
        return [.. picked.Select((p, i) => new VacuumRecord(taking.Id(), taking.Now, taking.By(trace), new VacuumValues
        {
            Value = p.Value,
            Unit = VacuumUnit.PaAbs,
            Minute = (p.Ms - picked[0].Ms) / MinuteMs,
            ShutOff = i == 0,
        }, null))];
    }

    /// <summary>A hold under nitrogen, with the pipe's temperature where the gauge reads that too.</summary>
    /// <inheritdoc cref="Vacuum" path="/param"/>
    /// <param name="pipe">Temperatures, K; empty without.</param>
    public static IReadOnlyList<StationRecord> Nitrogen(TakenTrace trace, IReadOnlyList<TracePoint> pipe, long? fromMs, long? toMs, Taking taking)
    {
        var picked = Picked(trace, fromMs, toMs, MostOfNitrogen);
        return [.. picked.Select((p, i) => new NitrogenRecord(taking.Id(), taking.Now, taking.By(trace), new NitrogenValues
        {
            GaugePa = p.Value,
            PipeC = Nearest(pipe, p.Ms) is { } kelvin ? kelvin + AbsoluteZeroC : null,
            Minute = (p.Ms - picked[0].Ms) / MinuteMs,
            Begins = i == 0,
        }, null))];
    }

    /// <summary>The space while it is cooled down.</summary>
    /// <inheritdoc cref="Vacuum" path="/param"/>
    public static IReadOnlyList<StationRecord> Cooling(TakenTrace trace, long? fromMs, long? toMs, Taking taking)
    {
        var picked = Picked(trace, fromMs, toMs, MostOfCooling);
        return [.. picked.Select((p, i) => new CoolingRecord(taking.Id(), taking.Now, taking.By(trace), new CoolingValues
        {
            CabinC = p.Value + AbsoluteZeroC,
            Minute = (p.Ms - picked[0].Ms) / MinuteMs,
            Begins = i == 0,
        }, null))];
    }

    /// <summary>A start-up from what stands steady now: at the unit's supply, in the air into the head and out of it, outdoors.</summary>
    /// <param name="steady">The last minute of each instrument and quantity.</param>
    /// <param name="places">Where they read.</param>
    /// <param name="before">What was written down before; its other readings stay.</param>
    /// <inheritdoc cref="Vacuum" path="/param"/>
    /// <exception cref="InputException">Nothing there that is steady.</exception>
    public static StationRecord StartUp(IReadOnlyDictionary<(string Instrument, InstrumentQuantity Quantity), TakenTrace> steady,
        IReadOnlyList<PlacedInstrument> places, CommissionRecord? before, Taking taking)
    {
        var used = new List<TakenTrace>();
        double? Of(InstrumentPlace place, InstrumentQuantity quantity)
        {
            foreach (var (_, trace) in steady.Where(s => s.Key.Quantity == quantity && places.At(s.Key.Instrument) == place)
                .OrderBy(s => s.Key.Instrument, StringComparer.Ordinal))
                if (Steady(trace.Points, quantity) is { } value)
                {
                    used.Add(trace);
                    return InstrumentQuantities.Inside(quantity, value);
                }
            return null;
        }

        var old = before?.Readings ?? new StartUpReadings();
        var readings = old with
        {
            RunV = Of(InstrumentPlace.Unit, InstrumentQuantity.Voltage) ?? old.RunV,
            RunA = Of(InstrumentPlace.Unit, InstrumentQuantity.Current) ?? old.RunA,
            RunW = Of(InstrumentPlace.Unit, InstrumentQuantity.Power) ?? old.RunW,
            EnteringC = Of(InstrumentPlace.Return, InstrumentQuantity.Temperature) ?? old.EnteringC,
            EnteringRhPct = Of(InstrumentPlace.Return, InstrumentQuantity.RelativeHumidity) * 100 ?? old.EnteringRhPct,
            LeavingC = Of(InstrumentPlace.Supply, InstrumentQuantity.Temperature) ?? old.LeavingC,
            LeavingRhPct = Of(InstrumentPlace.Supply, InstrumentQuantity.RelativeHumidity) * 100 ?? old.LeavingRhPct,
            OutdoorC = Of(InstrumentPlace.Outdoors, InstrumentQuantity.Temperature) ?? old.OutdoorC,
        };
        if (used.Count == 0)
            throw new InputException("take", "", "Nothing stands steady for a minute where the start-up asks. Say where each instrument reads: at the unit's "
                + "supply, in the air into the head, in the air out of it, outdoors.");
        return new CommissionRecord(taking.Id(), taking.Now, By(taking.Person, "instruments", used.Any(u => u.Simulated)), readings, before?.Id);
    }

    /// <summary>Mean of a minute that hardly moved; nothing where it moved, or where there is less than half a minute.</summary>
    private static double? Steady(IReadOnlyList<TracePoint> points, InstrumentQuantity quantity)
    {
        var values = points.Where(p => p.Value is not null).ToList();
        if (values.Count < 2 || values[^1].Ms - values[0].Ms < SteadyMs / 2)
            return null;
        var half = values.Count / 2;
        var mean = values.Average(v => v.Value!.Value);
        var drift = Math.Abs(values.Take(half).Average(v => v.Value!.Value) - values.Skip(half).Average(v => v.Value!.Value));
        return drift <= quantity switch
        {
            InstrumentQuantity.Temperature => SteadyK,
            InstrumentQuantity.RelativeHumidity => SteadyRh,
            _ => SteadyShare * Math.Abs(mean),
        } ? mean : null;
    }

    private static double? Nearest(IReadOnlyList<TracePoint> points, long ms)
    {
        TracePoint? near = null;
        foreach (var p in points)
            if (p.Value is not null && Math.Abs(p.Ms - ms) <= SteadyMs && (near is null || Math.Abs(p.Ms - ms) < Math.Abs(near.Value.Ms - ms)))
                near = p;
        return near?.Value;
    }

    private static IReadOnlyList<TracePoint> Picked(TakenTrace trace, long? fromMs, long? toMs, int most)
    {
        var picked = Trace.Picked(trace.Points, fromMs ?? long.MinValue, toMs ?? long.MaxValue, most);
        return picked.Count >= 2 ? picked
            : throw new InputException("from", $"{fromMs}", $"{trace.Instrument} has {picked.Count} readings there; two at least are taken over");
    }
}
