using Vanto.Core.Physics;
using Vanto.Core.Supply;

namespace Vanto.Core.Tests.Supply;

/// <summary>The bank of a run against the bank itself, whose steps are checked against the sheet; energy closes by definition.</summary>
public class BankRunTests
{
    public static TheoryData<Chemistry, int, double> Banks => new()
    {
        { Chemistry.Lfp, 16, 200 },
        { Chemistry.Nmc, 4, 100 },
        { Chemistry.Agm, 12, 440 },
        { Chemistry.Flooded, 6, 220 },
    };

    [Theory]
    [MemberData(nameof(Banks))]
    public void A_run_of_random_steps_goes_the_way_of_the_bank(Chemistry chemistry, int cells, double ampHours)
    {
        var bank = new BatteryBank(chemistry, cells, ampHours, temperatureC: 15, ageCapacity: 0.9, ageResistance: 1.25);
        var run = new BankRun(bank, 0.55, 300);
        var random = new SplitMix64(7);
        var soc = 0.55;
        double heat = 0, energy = 0;
        for (var step = 0; step < 2000; step++)
        {
            var wished = (random.Uniform() - 0.5) * bank.NominalVoltage * ampHours * 0.5;
            var power = wished > 0 ? run.Acceptable(wished) : -Math.Min(-wished, bank.MaxDischarge(soc, 300, 0.05).PowerW);
            power.ShouldBe(wished > 0 ? Math.Min(wished, bank.MaxCharge(soc, 300).PowerW) : power, 1e-6);
            var whole = bank.Step(soc, power, 300);
            run.TryStep(power, 0.05, out var loss).ShouldBeTrue($"step {step}: {power} W at {soc}");
            run.Soc.ShouldBe(whole.Soc, 1e-9);
            loss.ShouldBe(whole.LossW, 1e-5 * Math.Max(1, Math.Abs(power)));
            soc = whole.Soc;
            run.MoveTo(soc);
            heat += loss * 300;
            energy += power * 300;
        }
        (energy - heat).ShouldBe(bank.StoredJ(soc) - bank.StoredJ(0.55), 1e-6 * Math.Abs(energy) + 500);
    }

    [Theory]
    [MemberData(nameof(Banks))]
    public void It_gives_what_the_bank_gives_and_not_a_watt_more(Chemistry chemistry, int cells, double ampHours)
    {
        var bank = new BatteryBank(chemistry, cells, ampHours);
        foreach (var soc in new[] { 0.06, 0.2, 0.5, 0.97 })
        {
            var most = bank.MaxDischarge(soc, 300, 0.05).PowerW;
            new BankRun(bank, soc, 300).TryStep(-0.9999 * most, 0.05, out _).ShouldBeTrue();
            new BankRun(bank, soc, 300).TryStep(-1.001 * most - 0.01, 0.05, out _).ShouldBeFalse();
        }
        new BankRun(bank, 0.05, 300).TryStep(-1, 0.05, out _).ShouldBeFalse("at its floor it gives nothing");
        new BankRun(bank, 0.5, 300).TryStep(0, 0.05, out var nothing).ShouldBeTrue();
        nothing.ShouldBe(0);
    }
}
