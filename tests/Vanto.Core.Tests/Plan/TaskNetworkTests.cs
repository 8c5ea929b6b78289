using Vanto.Core.Findings;
using Vanto.Core.Plan;

namespace Vanto.Core.Tests.Plan;

/// <summary>Steps of the library laid out. Check values: an independent expansion of the same library; common practice, no published source.</summary>
public class TaskNetworkTests
{
    private static readonly TaskLibrary Library = TaskLibrary.Standard;

    private static JobShape Shape(string kinds, string tags = "", int zones = 1) => new(kinds.Split(' '),
        tags.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(t => t.Split('=')).ToDictionary(t => t[0], t => t[1]),
        new Dictionary<string, double>(), zones);

    private static TaskNetwork Net(string kinds, string tags = "", int zones = 1) => TaskNetwork.Expand(Shape(kinds, tags, zones), Library);

    [Fact]
    public void The_library_is_whole()
    {
        (Library.Tasks.Count, Library.Tasks.Sum(t => t.Predecessors.Count), Library.Tools.Count, Library.Materials.Count, Library.Equipment.Count,
            Library.PhotoSlots.Count).ShouldBe((141, 348, 102, 56, 14, 67));
        var gates = Library.Tasks.SelectMany(t => t.Gate.Start.Concat(t.Gate.Finish)).ToList();
        gates.CountBy(g => g.Kind).OrderBy(k => k.Key).Select(k => (k.Key, k.Value))
            .ShouldBe([("no-stop", 6), ("photo", 23), ("result", 7), ("tick", 167), ("value", 67)]);
        gates.Count(g => g.Override == "never").ShouldBe(27);
        gates.Count(g => g.Override == "second").ShouldBe(32);
        gates.ShouldAllBe(g => g.Key.Length > 0);
    }

    [Theory]
    [InlineData("split-wall", "", 1, 56, 52, 102, 482.2, 535.33, 503.2, 61, 134.5)]
    [InlineData("split-wall", "prove=vacuum flare=factory slack=coil circuit=existing tighten=feel", 1, 51, 47, 87, 400.0, 443.97, 421.0, 53, 109.7)]
    [InlineData("split-wall quick-connect", "prove=precharged slack=coil", 1, 49, 45, 89, 429.0, 475.87, 450.0, 51, 94.3)]
    [InlineData("split-pad", "pad=pour", 1, 58, 54, 103, 563.8, 625.12, 584.8, 66, 156.9)]
    [InlineData("split-vehicle", "wall=sandwich", 1, 64, 58, 122, 571.8, 635.13, 647.6, 66, 143.2)]
    [InlineData("split-boat", "wall=sandwich", 1, 62, 56, 115, 569.4, 630.63, 657.8, 63, 126.0)]
    [InlineData("split-wall dual-zone condensate-pump", "drain=pump", 2, 83, 79, 175, 776.7, 859.35, 805.7, 62, 134.6)]
    [InlineData("split-wall pv-string pv-assist", "", 1, 63, 59, 119, 680.0, 757.10, 753.6, 65, 156.0)]
    [InlineData("rooftop", "old=remove", 1, 30, 26, 54, 291.6, 326.73, 340.6, 38, 84.7)]
    [InlineData("rooftop", "opening=new", 1, 30, 26, 56, 314.6, 350.90, 329.6, 40, 91.6)]
    [InlineData("soft-start", "source=generator", 1, 23, 20, 34, 170.5, 191.42, 170.5, 22, 59.2)]
    [InlineData("battery", "", 1, 22, 19, 31, 304.8, 339.43, 338.2, 32, 57.9)]
    [InlineData("relocation split-wall quick-connect", "prove=precharged slack=coil", 1, 53, 50, 99, 495.0, 549.53, 542.0, 54, 97.7)]
    [InlineData("service", "", 1, 16, 14, 24, 144.0, 160.50, 144.0, 21, 42.1)]
    public void Jobs_have_the_steps_of_the_table(string kinds, string tags, int zones, int tasks, int site, int edges, double likely, double mean,
        double person, int tools, double kg)
    {
        var net = Net(kinds, tags, zones);
        var there = net.Steps.Where(s => s.OnSite).ToList();
        (net.Steps.Count, there.Count, net.Edges).ShouldBe((tasks, site, edges));
        there.Sum(s => s.Hands.Likely).ShouldBe(likely, 0.06);
        there.Sum(s => ThreePoint.Mean(s.Hands)).ShouldBe(mean, 0.01);
        there.Sum(s => s.Hands.Likely * s.Task.Crew).ShouldBe(person, 0.06);
        var taken = net.Tools(Library);
        taken.Count.ShouldBe(tools);
        taken.Sum(t => t.MassKg).ShouldBe(kg, 0.06);
    }

    [Fact]
    public void A_pipe_that_leaves_to_the_left_is_joined_indoors()
    {
        var shape = Shape("split-wall", "exit=left gauge=day") with { Drivers = new Dictionary<string, double> { ["joints"] = 4 } };
        var net = TaskNetwork.Expand(shape, Library);
        (net.Steps.Count, net.Edges).ShouldBe((57, 106));
        net.Steps.Where(s => s.OnSite).Sum(s => s.Hands.Likely).ShouldBe(497.2, 0.06);
        net.Steps.Single(s => s.Id == "vac-isolate").Wait.ShouldBe(new Minutes(1440, 1440, 1500));
        TaskNetwork.Expand(Shape("split-wall", "exit=left"), Library).Steps.Single(s => s.Id.StartsWith("joint-tighten", StringComparison.Ordinal)).Hands.Likely
            .ShouldBeLessThan(net.Steps.Single(s => s.Id.StartsWith("joint-tighten", StringComparison.Ordinal)).Hands.Likely);
    }

    [Fact]
    public void Steps_take_as_long_as_their_counts_say()
    {
        var net = Net("split-wall");
        Minutes Hands(string id, TaskNetwork of) => of.Steps.Single(s => s.Id == id || s.Id == $"{id}#1").Hands;
        void Near(Minutes m, double best, double likely, double worst)
        {
            m.Best.ShouldBe(best, 1e-6);
            m.Likely.ShouldBe(likely, 1e-6);
            m.Worst.ShouldBe(worst, 1e-6);
        }

        Near(Hands("line-bend", net), 9.1, 18.2, 40);
        Near(Hands("flare-make", net), 11.4, 17.6, 36);
        Near(Hands("n2-steps", net), 12, 19, 35);
        net.Steps.Single(s => s.Id == "n2-steps").Wait.ShouldBe(new Minutes(60, 60, 120));
        Near(Hands("bracket-fix", net), 17.2, 26.4, 56);
        Near(Hands("bracket-fix", Net("split-wall", "wall=solid")), 30.96, 47.52, 100.8);
        net.Steps.Single(s => s.Id == "vac-isolate").Wait.ShouldBe(new Minutes(10, 15, 30));
    }

    [Fact]
    public void Tools_follow_the_schools()
    {
        string[] asked = ["torque-spanner", "nitrogen-set", "vacuum-pump", "core-tool", "soap-spray"];
        string[] Of(string kinds, string tags) => [.. Net(kinds, tags).Tools(Library).Select(t => t.Id).Where(asked.Contains).Order()];
        Of("split-wall", "").ShouldBe([.. asked.Order()]);
        Of("split-wall", "prove=vacuum flare=factory slack=coil circuit=existing tighten=feel").ShouldBe(["core-tool", "soap-spray", "vacuum-pump"]);
        Of("split-wall quick-connect", "prove=precharged slack=coil").ShouldBe(["soap-spray"]);
    }

    /// <summary>What must come before what, over every kind with its modifiers and every school.</summary>
    [Fact]
    public void Orders_that_keep_people_alive_hold_in_every_job()
    {
        string[][] chains =
        [
            ["joint-tighten", "hoses-on", "n2-release", "vac-run", "vac-read", "valves-open", "hoses-off", "leak-check", "energise"],
            ["isolate-prove", "supply-connect"], ["isolate-prove", "outdoor-terminals"], ["isolate-prove", "head-terminals"], ["isolate-prove", "dc-bus"],
            ["discharge-capacitor", "ss-open"], ["start-baseline", "isolate-prove"], ["rel-before", "isolate-prove"], ["rel-shut", "isolate-prove"],
            ["pad-strip", "lift-outdoor"], ["feed-interconnect", "head-hang"], ["pump-mount", "head-hang"], ["circuit-test", "energise"],
            ["elec-inspection", "energise"], ["isolate-battery", "batt-first-close"], ["batt-first-close", "energise"], ["charge-add", "valves-open"],
            ["drain-elbow", "heat-test"], ["road-clearance", "road-test"], ["scan-hidden", "hole-drill"], ["scan-hidden", "pilot-hole"],
            ["leak-check", "cover-close"], ["n2-release", "vac-hand", "vac-isolate"], ["old-recover", "old-split-off", "lift-outdoor"],
            ["old-split-off", "plate-fix"], ["old-lines", "joint-tighten"], ["isolate-prove", "old-recover"], ["lay-drain", "lay-breaker", "lay-cover"],
            ["wake-heat", "wake-start"],
        ];
        string[] under = ["vac-read", "hoses-off", "valves-open", "leak-check"];
        foreach (var shape in Shapes())
        {
            var net = TaskNetwork.Expand(shape, Library);
            var before = Before(net);
            foreach (var asked in chains)
            {
                var chain = asked.Contains("hoses-off") && shape.Tags.GetValueOrDefault("hoses") == "under" ? under : asked;
                var there = chain.Where(id => net.Steps.Any(s => s.Task.Id == id)).ToList();
                foreach (var (first, then) in there.Zip(there.Skip(1)))
                    foreach (var later in net.Steps.Where(s => s.Task.Id == then))
                        before[later.Id].ShouldContain(id => id == first || id.StartsWith($"{first}#", StringComparison.Ordinal),
                            $"{string.Join(' ', shape.Kinds)} {string.Join(' ', shape.Tags)}: {first} before {later.Id}");
            }
            foreach (var step in net.Steps.Where(s => s.Id != "owner-show"))
                before["owner-show"].ShouldContain(step.Id);
            foreach (var step in net.Steps.Skip(1))
                step.After.ShouldNotBeEmpty(step.Id);
        }
    }

    private static IEnumerable<JobShape> Shapes()
    {
        string[] kinds = ["lay-up", "wake-up",
            "split-wall", "split-pad", "split-vehicle", "split-boat", "rooftop", "soft-start", "pv-string", "battery", "service",
            "relocation split-wall", "split-wall battery pv-string", "split-vehicle battery pv-string pv-assist"];
        foreach (var kind in kinds)
        {
            yield return Shape(kind);
            foreach (var group in Library.TagGroups.Where(g => g.Id is not ("drain" or "prove")))
                foreach (var value in group.Values.Where(v => v != group.Default))
                    yield return Shape(kind, $"{group.Id}={value}");
            if (!kind.Contains("split", StringComparison.Ordinal))
                continue;
            yield return Shape(kind, "prove=vacuum");
            yield return Shape($"{kind} quick-connect", "prove=precharged slack=coil");
            yield return Shape($"{kind} dual-zone condensate-pump", "drain=pump exit=left pad=pour permit=yes extra=yes heats=yes leak=detector", 2);
        }
    }

    private static Dictionary<string, HashSet<string>> Before(TaskNetwork net)
    {
        var before = new Dictionary<string, HashSet<string>>();
        foreach (var step in net.Steps)
            before[step.Id] = [.. step.After.SelectMany(e => before[e.Step].Append(e.Step))];
        return before;
    }

    [Fact]
    public void What_does_not_go_together_is_refused_with_its_field()
    {
        string Why(Action act) => Should.Throw<InputException>(act).Message;
        Why(() => Net("dual-zone")).ShouldContain("kind of its own");
        Why(() => Net("rooftop quick-connect", "prove=precharged")).ShouldContain("belongs to a split");
        Why(() => Net("split-wall split-pad")).ShouldContain("one split at most");
        Why(() => Net("split-wall", "drain=pump")).ShouldContain("pump");
        Why(() => Net("split-wall", "prove=precharged")).ShouldContain("pre-charged");
        Why(() => Net("split-wall", "flare=none")).ShouldContain("own, factory");
        Why(() => Net("split-wall", "colour=red")).ShouldContain("colour");
        Why(() => Net("castle")).ShouldContain("castle");
    }

    [Theory]
    [InlineData("split", true)]
    [InlineData("not split", false)]
    [InlineData("rooftop or split and flare=own", true)]
    [InlineData("(rooftop or split) and flare=factory", false)]
    [InlineData("not (rooftop or flare=factory) and not rooftop", true)]
    public void Conditions_are_read_as_they_are_written(string text, bool holds)
    {
        var space = new TagSpace(new HashSet<string> { "split", "rooftop", "flare=own", "flare=factory" });
        TagExpression.Parse(text, space).Holds(new HashSet<string> { "split", "flare=own" }).ShouldBe(holds);
    }

    [Theory]
    [InlineData("split and")]
    [InlineData("(split")]
    [InlineData("split split")]
    [InlineData("flare=odd")]
    [InlineData("or")]
    public void A_condition_that_cannot_be_read_is_an_error(string text) =>
        Should.Throw<FormatException>(() => TagExpression.Parse(text, new TagSpace(new HashSet<string> { "split" })));

    [Fact]
    public void A_library_with_a_fault_is_refused()
    {
        var text = new StreamReader(typeof(TaskLibrary).Assembly.GetManifestResourceStream("task-library.json")!).ReadToEnd();
        Should.Throw<InputException>(() => TaskLibrary.Read(text.Replace("\"vac-isolate\"", "\"vac-lost\"", StringComparison.Ordinal)
            .Replace("\"id\": \"vac-lost\"", "\"id\": \"vac-isolate\"", StringComparison.Ordinal))).Message.ShouldContain("vac-lost");
        Should.Throw<InputException>(() => TaskLibrary.Read("{")).Message.ShouldContain("cannot be read");
    }
}
