using Vanto.Core.Energy;
using Vanto.Core.Physics;
using Vanto.Core.Supply;
using Vanto.Core.Unit;

namespace Vanto.Core.Tests.Energy;

/// <summary>The smallest kit. Check table: a second implementation of the same model on an invented bus, no published source; proof by full search.</summary>
public class SystemSizingTests
{
    private const int MostBatteries = 14;
    private const int MostModules = 12;
    private const double Reserve = 0.20;

    /// <summary>The invented bus for some days: its demand is found once with all the supply it wants.</summary>
    private sealed class Bus
    {
        private readonly EnergyCase _case;

        public Bus(int days, double hotterK = 0, double sunShare = 1, double nightC = 25)
        {
            var hours = Enumerable.Range(0, days * 288).Select(k => (18 + (k + 0.5) / 12) % 24).ToArray();
            static bool In(double h, double from, double to) => from < to ? h >= from && h < to : h >= from || h < to;
            double[] Map(Func<double, double> f) => [.. hours.Select(f)];
            var outdoor = Map(h => 32 + hotterK + 6 * Math.Cos(2 * Math.PI * (h - 15) / 24));
            var sun = Map(h => h is > 6 and < 20 ? sunShare * 950 * Math.Sin(Math.PI * (h - 6) / 14) : 0);
            var start = new EnergyCase
            {
                Unit = UnitCatalogue.Find("MS-12-120")!,
                Bank = new BatteryBank(Chemistry.Lfp, 16, 1e6),
                StepS = 300,
                OutdoorC = outdoor,
                IrradianceWm2 = sun,
                SetpointC = Map(h => In(h, 21, 7) ? nightC : nightC + 2),
                DcLoadW = Map(_ => 45),
                AcLoadW = Map(h => In(h, 18.5, 18.75) || In(h, 7, 7.25) ? 1300 : In(h, 18, 22) ? 260 : 90),
                Inverter = new EnergyInverter(new InverterModel(3000, 35), 3000),
                Modules = new EnergyModules(0, 410),
            };
            var free = EnergySimulation.Run(start,
                new LumpedCabin(125, 1400e3, outdoor, [.. hours.Select((h, i) => 1.60 * sun[i] + (In(h, 17, 9) ? 280 : 0))], 29, 18.5));
            AirconWh = free.Ledger.AirconWh;
            _case = start with { AirconW = free.AirconW, Recorded = false, GiveUpSoc = Reserve };
        }

        public double AirconWh { get; }

        public bool Feasible(KitSize kit, bool aged)
        {
            var bank = new BatteryBank(Chemistry.Lfp, 16, 100 * kit.Batteries, ageCapacity: aged ? 0.8 : 1, ageResistance: aged ? 1.5 : 1,
                extraResistance: 0.006 / kit.Batteries);
            return SystemSizing.MeetsReserve(EnergySimulation.Run(_case with { Bank = bank, Modules = _case.Modules with { Count = kit.Modules } }), Reserve);
        }
    }

    [Theory]
    [InlineData(1, 0, 1, false, 10813.4, "4 4 3 3 2 2 2 2 2 2 2 2 2")]
    [InlineData(1, 0, 1, true, 10813.4, "5 5 4 3 2 2 2 2 2 2 2 2 2")]
    [InlineData(3, 3, 1, false, 43480.8, "- 13 12 10 8 6 5 3 2 2 2 2 2")]
    [InlineData(3, 3, 1, true, 43480.8, "- - 14 12 10 7 6 4 3 3 2 2 2")]
    [InlineData(3, 0, 0.35, false, 21620.7, "10 9 8 8 7 6 6 5 4 4 3 3 3")]
    [InlineData(3, 0, 0.35, true, 21620.7, "12 11 10 9 9 8 7 6 5 5 4 4 3")]
    public void The_least_battery_for_each_number_of_modules(int days, double hotter, double sun, bool aged, double airconWh, string wanted)
    {
        var bus = new Bus(days, hotter, sun);
        bus.AirconWh.ShouldBe(airconWh, 0.001 * airconWh);
        var least = SystemSizing.Staircase(MostBatteries, MostModules, kit => bus.Feasible(kit, aged));
        string.Join(' ', least.Select(b => b < 0 ? "-" : $"{b}")).ShouldBe(wanted);
    }

    [Fact]
    public void The_staircase_is_what_the_full_search_finds()
    {
        var bus = new Bus(3, sunShare: 0.35);
        var stairs = SystemSizing.Staircase(MostBatteries, MostModules, kit => bus.Feasible(kit, false));
        var full = SystemSizing.FullMap(MostBatteries, MostModules, kit => bus.Feasible(kit, false));
        SystemSizing.Least(full).ShouldBe(stairs);
        var map = SystemSizing.Map(stairs, MostBatteries);
        for (var a = 0; a <= MostModules; a++)
            map[a].ShouldBe(full[a]);
    }

    [Fact]
    public void On_random_monotone_maps_the_staircase_agrees_and_asks_less()
    {
        var random = new SplitMix64(3);
        for (var map = 0; map < 60; map++)
        {
            var (b, a) = (1 + (int)(random.Uniform() * 9), (int)(random.Uniform() * 9));
            var border = Enumerable.Range(0, a + 1).Select(_ => (int)(random.Uniform() * (b + 3))).OrderDescending().ToArray();
            var asked = 0;
            bool Feasible(KitSize kit)
            {
                asked++;
                return kit.Batteries >= border[kit.Modules];
            }
            var stairs = SystemSizing.Staircase(b, a, Feasible);
            asked.ShouldBeLessThanOrEqualTo(a + 1 + 2 * b + 1 + a);
            stairs.ShouldBe(SystemSizing.Least(SystemSizing.FullMap(b, a, Feasible)));
        }
    }

    [Fact]
    public void The_frontier_keeps_only_what_nothing_beats()
    {
        var points = new List<KitPoint>();
        foreach (var night in new double[] { 24, 25, 26, 27 })
        {
            var bus = new Bus(3, sunShare: 0.35, nightC: night);
            var least = SystemSizing.Staircase(MostBatteries, MostModules, kit => bus.Feasible(kit, false));
            points.AddRange(
                least.Select((b, a) => (b, a)).Where(x => x.b > 0).Select(x => new KitPoint(night, x.b, x.a, 190 * x.a + 1400 * x.b, 21 * x.a + 48 * x.b)));
        }
        points.Count.ShouldBe(52);
        SystemSizing.Frontier(points).OrderBy(p => p.SetpointC).ThenBy(p => p.MassKg)
            .Select(p => $"{p.SetpointC} {p.Modules} {p.Batteries} {p.Cost} {p.MassKg}")
            .ShouldBe(["24 12 3 6480 396", "25 10 3 6100 354", "26 11 2 4890 327", "27 7 3 5530 291", "27 10 2 4700 306"]);
    }

    [Fact]
    public void A_larger_kit_never_ends_lower()
    {
        var bus = new Bus(1);
        for (var b = 2; b < 8; b++)
            for (var a = 0; a < 8; a++)
                if (bus.Feasible(new KitSize(b, a), false))
                {
                    bus.Feasible(new KitSize(b + 1, a), false).ShouldBeTrue();
                    bus.Feasible(new KitSize(b, a + 1), false).ShouldBeTrue();
                }
    }

    /// <summary>A kit that lasts day after day is never smaller than one that lasts the days asked from a full bank.</summary>
    [Fact]
    public void On_the_bench_lasting_day_after_day_asks_for_more_than_lasting_some_nights()
    {
        string[] Least(LastingAim lasting) => [.. RunCalculators.Kit(new LumpedDayInput { Days = 2, Batteries = 8, Modules = 8, Lasting = lasting })
            .Figures.Where(f => f.Words is not null).Select(f => f.Words!)];
        var (nights, lasting) = (Least(LastingAim.Nights), Least(LastingAim.DayAfterDay));
        nights = nights[^9..];
        lasting = lasting[^9..];
        static int Batteries(string words) => words.StartsWith("more", StringComparison.Ordinal) ? int.MaxValue : int.Parse(words.Split(' ')[0]);
        for (var a = 0; a < nights.Length; a++)
            Batteries(lasting[a]).ShouldBeGreaterThanOrEqualTo(Batteries(nights[a]));
        lasting.ShouldNotBe(nights, "without enough sun nothing lasts");
    }
}
