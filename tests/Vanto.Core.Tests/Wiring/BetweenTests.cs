using CsCheck;
using Vanto.Core.Findings;
using Vanto.Core.Wiring;

namespace Vanto.Core.Tests.Wiring;

/// <summary>Cable between the units, pump's alarm, soft starter, ties of neutral, tests: worked values and brute force. Arrangements common practice.</summary>
public class BetweenTests
{
    private static readonly CoreRole[] Roles = [CoreRole.Live, CoreRole.Neutral, CoreRole.Data, CoreRole.Earth];
    private static readonly CoreColour[] Colours = [CoreColour.Brown, CoreColour.Blue, CoreColour.Black, CoreColour.GreenYellow];

    /// <summary>Core h of the head stands at label to[h] outdoors; −1 nowhere.</summary>
    private static List<Landed> Ends(params int[] to) =>
    [
        .. Enumerable.Range(0, 4).Select(l => new Landed($"{l + 1}", Roles[l], Colours[l], Array.IndexOf(to,
            l) is >= 0 and var h ? Colours[h] : CoreColour.None)),
    ];

    [Theory]
    [InlineData(new[] { 0, 1, 2, 3 }, 0, 0, CoreFault.None)]
    [InlineData(new[] { 1, 0, 2, 3 }, 2, 1, CoreFault.Polarity)]
    [InlineData(new[] { 1, 2, 0, 3 }, 3, 2, CoreFault.Harm)]
    [InlineData(new[] { 3, 2, 1, 0 }, 4, 2, CoreFault.Harm)]
    [InlineData(new[] { 0, 2, 1, 3 }, 2, 1, CoreFault.Harm)]
    public void Crossed_cores_are_counted_and_mended(int[] to, int moves, int swaps, CoreFault worst)
    {
        var found = EndsCompared.Of(Ends(to));
        found.Moves.Count.ShouldBe(moves);
        found.Swaps.ShouldBe(swaps);
        found.Worst.ShouldBe(worst);
        Mended(Ends(to), found).ShouldBeTrue();
    }

    private static bool Mended(List<Landed> ends, EndsCompared found)
    {
        var after = ends.Select(l =>
        {
            var lands = found.Moves.FirstOrDefault(m => m.To == l.Label);
            return lands is null ? l : found.AtHead ? l with { Head = lands.Colour } : l with { Outdoor = lands.Colour };
        }).ToList();
        return EndsCompared.Of(after) is { Worst: CoreFault.None, Crossed: false };
    }

    [Fact]
    public void An_open_core_and_one_that_stands_twice()
    {
        var open = EndsCompared.Of(Ends(0, 1, -1, 3));
        open.Worst.ShouldBe(CoreFault.NoTalk);
        open.Moves.ShouldBeEmpty();
        EndsCompared.Of(Ends(-1, 1, 2, 3)).Worst.ShouldBe(CoreFault.Harm, "live is open");
        var twice = Ends(0, 1, 2, 3);
        twice[1] = twice[1] with { Outdoor = CoreColour.Brown };
        EndsCompared.Of(twice).Worst.ShouldBe(CoreFault.Harm);
        EndsCompared.Of(twice).Doubled.ShouldBe([CoreColour.Brown]);
    }

    /// <summary>Every way that four cores can be crossed: fewest lifted cores and fewest exchanges, against trying all.</summary>
    [Fact]
    public void The_fewest_moves_are_those_of_brute_force()
    {
        foreach (var to in Orders([0, 1, 2, 3]))
        {
            var found = EndsCompared.Of(Ends(to));
            found.Swaps.ShouldBe(Exchanges(to), string.Join(' ', to));
            found.Moves.Count.ShouldBe(to.Where((t, h) => t != h).Count());
            found.Moves.Count.ShouldNotBe(1);
        }
    }

    private static IEnumerable<int[]> Orders(int[] of) => of.Length == 0 ? [[]]
        : of.SelectMany(first => Orders([.. of.Where(x => x != first)]).Select(rest => (int[])[first, .. rest]));

    /// <summary>Breadth first over all exchanges of two.</summary>
    private static int Exchanges(int[] to)
    {
        var seen = new HashSet<string> { string.Join(' ', to) };
        var now = new List<int[]> { to };
        for (var n = 0; ; n++)
        {
            if (now.Any(p => p.Select((t, h) => t == h).All(x => x)))
                return n;
            now = [.. now.SelectMany(p => Enumerable.Range(0, 4).SelectMany(a => Enumerable.Range(a + 1, 3 - a).Select(b =>
            {
                var q = (int[])p.Clone();
                (q[a], q[b]) = (q[b], q[a]);
                return q;
            }))).Where(q => seen.Add(string.Join(' ', q)))];
        }
    }

    [Fact]
    public void Zones_and_labels()
    {
        Zones.Compare([("A", "B"), ("B", "A")])!.Value.Swaps.ShouldBe(1);
        var four = Zones.Compare([("A", "B"), ("B", "C"), ("C", "A"), ("D", "D")])!.Value;
        (four.Wrong.Count, four.Swaps).ShouldBe((3, 2));
        Zones.Compare([("A", "A"), ("A", "B")]).ShouldBeNull("a letter stands twice");
        CoreLabels.Of("A", "3", CoreRole.Data).ShouldBe("A-3 DATA");
        CoreLabels.Count(4).ShouldBe(10);
        Should.Throw<InputException>(() => CoreLabels.Of("upper deck", "3", CoreRole.Data)).Errors.Single().Field.ShouldBe("label");
    }

    [Theory]
    [InlineData(PumpArrangement.HeadFed, AlarmEffect.Direct)]
    [InlineData(PumpArrangement.OutdoorFed, AlarmEffect.Indirect)]
    [InlineData(PumpArrangement.Separate, AlarmEffect.Indirect)]
    [InlineData(PumpArrangement.Contactor, AlarmEffect.Direct)]
    public void Every_arrangement_stops_the_unit_and_leaves_the_data_whole(PumpArrangement arrangement, AlarmEffect effect)
    {
        var verdict = PumpInterlock.Verify(PumpInterlock.Of(arrangement));
        verdict.Good.ShouldBeTrue(verdict.ToString());
        verdict.Effect.ShouldBe(effect);
    }

    [Fact]
    public void What_was_left_out_is_found()
    {
        var broken = PumpInterlock.Verify(PumpInterlock.AsBuilt(PumpArrangement.HeadFed, true, false, true, false, true));
        broken.DataWhole.ShouldBeFalse();
        broken.AlarmFused.ShouldBeFalse();
        var old = PumpInterlock.Verify(PumpInterlock.AsBuilt(PumpArrangement.HeadFed, true, true, false, true, true));
        (old.Effect, old.AlarmFused, old.DataWhole).ShouldBe((AlarmEffect.None, false, true));
        var unfused = PumpInterlock.Verify(PumpInterlock.AsBuilt(PumpArrangement.OutdoorFed, false, true, false, false, true));
        (unfused.PumpFused, unfused.AlarmFused, unfused.Effect).ShouldBe((false, true, AlarmEffect.Indirect));
        PumpInterlock.Verify(PumpInterlock.AsBuilt(PumpArrangement.Contactor, true, true, false, true, true)).Effect.ShouldBe(AlarmEffect.None);
    }

    /// <summary>No two pieces on one place, each inside the picture, every fuse and contact of the live side drawn and named.</summary>
    [Theory]
    [InlineData(PumpArrangement.HeadFed)]
    [InlineData(PumpArrangement.OutdoorFed)]
    [InlineData(PumpArrangement.Separate)]
    [InlineData(PumpArrangement.Contactor)]
    public void Every_arrangement_is_drawn_whole(PumpArrangement arrangement)
    {
        var net = PumpInterlock.Of(arrangement);
        var picture = LinePicture.Of(net);
        picture.Nodes.Select(n => (n.X, n.Y)).ShouldBeUnique();
        picture.Nodes.ShouldAllBe(n => n.X > 0 && n.X < picture.Wide && n.Y > 0 && n.Y < picture.High);
        picture.Nodes.Count(n => n.Name == "fuse").ShouldBe(net.Count(e => e.Part == NetPart.Fuse));
        picture.Nodes.Select(n => n.Name).ShouldContain("pump");
        picture.Nodes.Select(n => n.Name).ShouldContain("outdoor data");
        picture.Nodes.ShouldAllBe(n => !n.Name.Contains('.'));
    }

    /// <summary>Nets made at random: what is live is what a search from the supply reaches.</summary>
    [Fact]
    public void Random_nets_are_followed_as_a_search_would()
    {
        string[] nodes = ["Supply.L", "Supply.N", "Head.L", "Head.N", "Head.D", "Out.L", "Out.N", "Out.D", "Pump.L", "Pump.N", "Alarm.1", "Alarm.2", "J.L",
            "Q1.A1"];
        var edge = Gen.Select(Gen.OneOfConst(nodes), Gen.OneOfConst(nodes), Gen.Enum<NetPart>(), (a, b, part) =>
            new NetEdge(a, b, part, part == NetPart.Pole ? "Q1.A1" : ""));
        edge.Array[4, 22].Each(net =>
        {
            var found = PumpInterlock.Verify(net);
            bool Live(string node, Func<NetEdge, bool> closed) => Reached(net, closed).Contains(node);
            found.Fed.ShouldBe(Live("Head.L", _ => true) && Live("Out.L", _ => true) && Live("Pump.L", _ => true));
            found.PumpStays.ShouldBe(Live("Pump.L", e => e.Part != NetPart.Alarm));
            found.PumpFused.ShouldBe(!Live("Pump.L", e => e.Part != NetPart.Fuse));
            (found.Effect == AlarmEffect.Direct).ShouldBe(!Live("Out.L", e => e.Part != NetPart.Alarm));
        }, iter: 3000);
    }

    private static HashSet<string> Reached(IReadOnlyList<NetEdge> net, Func<NetEdge, bool> closed)
    {
        var live = new HashSet<string> { "Supply.L" };
        for (var grew = true; grew;)
        {
            grew = false;
            foreach (var e in net.Where(closed).Where(e => e.Part != NetPart.Pole || live.Contains(e.Coil)))
                grew |= live.Contains(e.From) && live.Add(e.To) || live.Contains(e.To) && live.Add(e.From);
        }
        return live;
    }

    [Theory]
    [InlineData(1.5, 6.1, 4.6, 0, "B", "A", "C")]
    [InlineData(2.1, 5.4, 3.5, 0.1, "B", "A", "C")]
    [InlineData(7.2, 5.0, 2.3, 0, "C", "B", "A")]
    public void Windings_are_named(double ab, double ac, double bc, double leads, string common, string run, string start)
    {
        var named = Windings.Of(ab, ac, bc, leads, 0.1);
        (named.Verdict, named.Common, named.Run, named.Start).ShouldBe((WindingVerdict.Named, common, run, start));
        // Another order of the letters names the same pins.
        Windings.Of(ac, ab, bc, leads, 0.1).Common.ShouldBe(common switch { "B" => "C", "C" => "B", _ => common });
    }

    [Fact]
    public void Readings_that_name_nothing()
    {
        Windings.Of(0.90, 0.90, 0.92, 0, 0.1).Verdict.ShouldBe(WindingVerdict.ThreePhase);
        Windings.Of(null, 5, null, 0, 0.1).Verdict.ShouldBe(WindingVerdict.OneClosedPair);
        Windings.Of(null, null, null, 0, 0.1).Verdict.ShouldBe(WindingVerdict.AllOpen);
        Windings.Of(1.5, null, 4.6, 0, 0.1).Verdict.ShouldBe(WindingVerdict.Inconsistent);
        Windings.Of(1.5, 4.0, 4.6, 0, 0.1).Verdict.ShouldBe(WindingVerdict.SumRuleFailed);
        Windings.Of(0.1, 3.0, 3.1, 0, 0.1).Verdict.ShouldBe(WindingVerdict.Shorted);
        Windings.Of(2.3, 2.4, 4.7, 0, 0.1).Verdict.ShouldBe(WindingVerdict.Ambiguous);
        Windings.At(4.6, 20, 60).ShouldBe(5.32299, 1e-4);
    }

    [Fact]
    public void Joints_of_a_soft_starter()
    {
        StarterLead[] supply = [StarterLead.SupplyCommon, StarterLead.SupplyRun, StarterLead.SupplyStart];
        StarterLead[] load = [StarterLead.LoadCommon, StarterLead.LoadRun, StarterLead.LoadStart];
        WindingWire[] all = [WindingWire.Common, WindingWire.Run, WindingWire.Start];
        StarterJoints.Of(supply, load, all).ShouldBe(new StarterJoints(0, 0, 0));
        StarterJoints.Of(supply, [load[0], load[2], load[1]], all).Crossed.ShouldBe(2);
        StarterJoints.Of([supply[0], supply[2], supply[1]], [load[0], load[2], load[1]], all).Crossed.ShouldBe(4);
        StarterJoints.Of([load[0], supply[1], supply[2]], [supply[0], load[1], load[2]], all).Reversed.ShouldBe(2);
        StarterJoints.Of([StarterLead.None, supply[1], supply[2]], load, all).Open.ShouldBe(1);
        StarterJoints.Of([StarterLead.None, supply[1], supply[2]], [StarterLead.None, load[1], load[2]], [WindingWire.Run, WindingWire.Start]).Open.ShouldBe(0);
    }

    [Fact]
    public void A_capacitor_is_let_empty()
    {
        CapacitorDischarge.Seconds(40e-6, Math.Sqrt(2) * 370, 20000, 25).ShouldBe(2.43296, 1e-4);
        CapacitorDischarge.EnergyJ(40e-6, Math.Sqrt(2) * 370).ShouldBe(5.476, 1e-3);
        CapacitorDischarge.Seconds(1500e-6, 340, 5000, 25).ShouldBe(19.5755, 1e-3);
        CapacitorDischarge.Seconds(1500e-6, 20, 5000, 25).ShouldBe(0);
    }

    private static BondCount Count(string state, string active, IReadOnlyList<NeutralBond> bonds, params (string A, string B, string[] In)[] links) =>
        BondingPlan.Count("load", [.. links.Select(l => new NeutralLink(l.A, l.B, l.In))], bonds, new SupplyState(state, active));

    [Fact]
    public void One_tie_of_neutral_to_earth_in_every_state()
    {
        NeutralBond shore = new("shore", BondRule.Always, "shore"), relay = new("inverter", BondRule.WhenSourcing, "inverter");
        (string, string, string[])[] both = [("load", "shore", ["shore"]), ("load", "inverter", ["inverter"])];
        Count("shore", "shore", [shore, relay], both).ShouldBe(new BondCount(new SupplyState("shore", "shore"), ["shore"], true), new Alike());
        Count("inverter", "inverter", [shore, relay], both).OnActive.ShouldBeTrue();
        Count("shore", "shore", [shore, relay with { Rule = BondRule.Always }], ("load", "shore", ["shore"]), ("load", "inverter", ["shore"])).Bonds.Count
            .ShouldBe(2);
        NeutralBond generator = new("generator", BondRule.Always, "generator");
        Count("generator", "generator", [generator, new NeutralBond("load", BondRule.Always, "board")], ("load", "generator", ["generator"])).Bonds.Count
            .ShouldBe(2);
        Count("generator", "generator", [generator with { Rule = BondRule.Never }], ("load", "generator", ["generator"])).Bonds.ShouldBeEmpty();
        var elsewhere = Count("generator", "generator", [generator with { Rule = BondRule.Never }, shore], ("load", "generator", ["generator"]),
            ("load", "shore", ["generator"]));
        (elsewhere.Bonds.Count, elsewhere.OnActive).ShouldBe((1, false));
        Count("shore", "shore", [shore], ("load", "shore", ["shore"]), ("load", "far", [])).Bonds.Count.ShouldBe(1, "an open link changes nothing");
    }

    private sealed class Alike : IEqualityComparer<BondCount>
    {
        public bool Equals(BondCount? x, BondCount? y) => x!.State == y!.State && x.Bonds.SequenceEqual(y.Bonds) && x.OnActive == y.OnActive;

        public int GetHashCode(BondCount obj) => obj.State.GetHashCode();
    }

    [Theory]
    [InlineData(121, 0.8, 120.5, 120, ShoreReading.Correct)]
    [InlineData(120, 119, 0.5, 120, ShoreReading.LineNeutralReversed)]
    [InlineData(119, 58, 61, 120, ShoreReading.EarthOpen)]
    [InlineData(3, 2, 119, 120, ShoreReading.NeutralOpen)]
    [InlineData(1, 119, 120, 120, ShoreReading.LineEarthReversed)]
    [InlineData(118, 14, 104, 120, ShoreReading.Unclear)]
    [InlineData(231, 1.2, 230, 230, ShoreReading.Correct)]
    [InlineData(0, 0, 0, 230, ShoreReading.NoSupply)]
    public void A_pedestal_before_it_is_used(double ln, double ne, double le, double nominal, ShoreReading reading) =>
        ShoreTest.Of(ln, ne, le, nominal).ShouldBe(reading);

    [Theory]
    [InlineData(120, 121, 241, LegsReading.SplitPhase)]
    [InlineData(120, 120, 208, LegsReading.TwoOfThree)]
    [InlineData(120, 120, 0, LegsReading.SameLeg)]
    [InlineData(150, 90, 240, LegsReading.NeutralOpen)]
    public void Two_legs(double first, double second, double between, LegsReading reading) => SplitPhaseTest.Of(first, second, between).ShouldBe(reading);

    [Fact]
    public void Tests_before_power_have_an_order_and_limits()
    {
        var passed = Enum.GetValues<PowerStep>().TakeWhile(s => s < PowerStep.Residual).ToDictionary(s => s, _ => StepState.Passed);
        TestSequence.CanRun(passed, PowerStep.Residual).ShouldBeTrue();
        TestSequence.CanRun(passed, PowerStep.Unit).ShouldBeFalse();
        var opened = TestSequence.Opened(passed);
        TestSequence.CanRun(opened, PowerStep.Residual).ShouldBeFalse();
        TestSequence.CanRun(opened, PowerStep.Isolated).ShouldBeTrue();
        passed[PowerStep.ProvedDead] = StepState.NotApplicable;
        TestSequence.CanRun(passed, PowerStep.Residual).ShouldBeFalse("proving dead always applies");
        TestLimits.Earth(Conductor.Of(WireSize.Awg12), 20).Expected.ShouldBe(0.126841, 1e-5);
        TestLimits.Earth(Conductor.Of(WireSize.Sq2P5), 15).Expected.ShouldBe(0.13115, 1e-5);
        TestLimits.Earth(Conductor.Of(WireSize.Awg10), 30).Expected.ShouldBe(0.120366, 1e-5);
        TestLimits.Loop(230, BreakerCurve.C, 16).ShouldBe((1.4375, 1.4375 * 2 / 3));
        TestLimits.Loop(230, BreakerCurve.B, 10).Limit.ShouldBe(4.6, 1e-9);
        TestLimits.ResidualLoop(0.03).ShouldBe(1666.67, 0.01);
        TestLimits.Insulation(240, false).ShouldBe((500, 1e6));
        TestLimits.Insulation(48, true).ShouldBe((250, 0.5e6));
        TestLimits.GroundFaultS(6).ShouldBe(5.59392, 1e-4);
        TestLimits.GroundFaultS(264).ShouldBe(0.0249792, 1e-6);
        TestLimits.Together([3e6, 6e6, 12e6]).ShouldBe(1.71429e6, 10);
    }
}
