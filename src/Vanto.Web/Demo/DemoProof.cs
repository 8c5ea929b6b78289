using Vanto.Core.Commission;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Stations;

namespace Vanto.Web.Demo;

/// <summary>Readings of the proof that go with demo rigs: one tight and not yet pumped, one wet. Invented; made by the simulated circuit.</summary>
public static class DemoProof
{
    /// <summary>Water that stood in the boat's pipe, kg.</summary>
    private const double WetKg = 1.1e-4;

    private const double HoldMin = 24;

    /// <summary>Records of a rig, in the order written.</summary>
    /// <param name="name">The rig.</param>
    /// <param name="now">When the demo was begun: what is written is of the hours before.</param>
    public static IEnumerable<StationRecord> Of(string name, DateTimeOffset now) => name switch
    {
        "Marigold" => Tight(now.AddHours(-26)),
        "Gannet's Rest" => [.. Tight(now.AddHours(-28)), .. Wet(now.AddHours(-1))],
        _ => [],
    };

    private static IEnumerable<StationRecord> Tight(DateTimeOffset from)
    {
        NitrogenRecord At(double hours, double mpa, double c, bool begins) => new(Guid.CreateVersion7(), from.AddHours(hours), "Ottoline Marsh",
            new NitrogenValues { GaugePa = mpa * 1e6, PipeC = c, Begins = begins }, null);
        return [At(0, 2.60, 27, true), At(1, 2.61, 28, false), At(22, 2.55, 21.5, false)];
    }

    /// <summary>A circuit with bound water, pumped for twenty minutes, then read every two; half a degree of hand in each reading.</summary>
    private static IEnumerable<StationRecord> Wet(DateTimeOffset from)
    {
        var rig = new EvacuationRig(new EvacuationSetup { VolumeM3 = 1.9e-3, BoundKg = WetKg, Hose = new(9.5e-3, 0.9) });
        var hand = new SplitMix64(4);
        while (rig.Seconds < 20 * 60)
            rig.Step(pumping: true);
        for (var minute = 0; minute <= HoldMin; minute += 2)
        {
            while (rig.Seconds < (20 + minute) * 60)
                rig.Step(pumping: false);
            var micron = Math.Round(rig.Pa / QuantityTable.PascalsPerMicron * (1 + 0.01 * hand.Normal()) / 10) * 10;
            yield return new VacuumRecord(Guid.CreateVersion7(), from.AddMinutes(minute), "Ottoline Marsh",
                new VacuumValues { Value = micron, ShutOff = minute == 0 }, null);
        }
    }
}
