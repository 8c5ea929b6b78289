using Vanto.Core.Commission;
using Vanto.Core.Exchange;
using Vanto.Core.Job;
using Vanto.Core.Tests.Job;

namespace Vanto.Core.Tests.Exchange;

/// <summary>Two laptops: logs put together, designs compared, backups kept; common practice, no published source.</summary>
public class ExchangeTests
{
    private static readonly DateTimeOffset Noon = new(2026, 6, 1, 12, 0, 0, TimeSpan.Zero);

    private static LogEntry Entry(int id, double minute, int? corrects = null, string content = "") =>
        new(Numbered(id), Noon.AddMinutes(minute), corrects is { } c ? Numbered(c) : null, "Wren", "note", content.Length > 0 ? content : $"{id}");

    private static Guid Numbered(int id) => new(id, 0, 0, new byte[8]);

    [Fact]
    public void Logs_are_put_together_in_the_order_of_their_moments()
    {
        LogEntry[] a = [Entry(1, 100), Entry(2, 105), Entry(5, 120.1)], b = [Entry(1, 100), Entry(3, 105), Entry(4, 119)];
        LogMerge.Of(a, b).Entries.Select(e => e.Content).ShouldBe(["1", "2", "3", "4", "5"]);
        LogMerge.Of(a, b).Fresh.Select(e => e.Content).ShouldBe(["3", "4"]);
    }

    /// <summary>Two laptops: what one of them wrote in between is missing until it, or one that met it, is brought.</summary>
    [Fact]
    public void What_a_laptop_that_was_not_brought_wrote_is_missed_by_its_number()
    {
        static LogEntry Of(int id, string device, long seq, long at, int within = 0) =>
            Entry(id, 0) with { Stamp = new EventStamp(new HybridTime(at, within), device, seq) };
        LogEntry[] a = [Of(1, A, 1, 100), Of(2, A, 2, 105), Of(5, A, 3, 120, 1)], b = [Of(1, A, 1, 100), Of(3, B, 1, 105), Of(4, B, 3, 119)];
        var merged = LogMerge.Of(a, b);
        merged.Entries.Select(e => e.Content).ShouldBe(["1", "2", "3", "4", "5"]);
        merged.Altered.ShouldBeEmpty();
        var missing = LogMerge.Missing(merged.Entries.Select(e => e.Stamp!)).ShouldHaveSingleItem();
        (missing.Device, missing.Numbers.Single()).ShouldBe((B, 2));
        LogMerge.Missing(LogMerge.Of([.. merged.Entries], [Of(6, B, 2, 110)]).Entries.Select(e => e.Stamp!)).ShouldBeEmpty();
    }

    private const string A = "aaaaaaaaaaaaaaaa", B = "bbbbbbbbbbbbbbbb";

    [Fact]
    public void A_record_that_an_older_Vanto_sent_without_its_stamp_is_the_same_record()
    {
        var stamped = Entry(1, 0) with { Stamp = new EventStamp(new HybridTime(5, 0), A, 1) };
        LogMerge.Of([stamped], [Entry(1, 0)]).Altered.ShouldBeEmpty();
        LogMerge.Of([Entry(1, 0)], [stamped]).Altered.ShouldBeEmpty();
    }

    [Fact] // "Logical physical clocks", OPODIS 2014
    public void A_hybrid_clock_never_goes_back_and_comes_after_what_it_heard()
    {
        // What was heard lies in the log then; the next record comes after the latest that lies there.
        static HybridTime Later(HybridTime a, HybridTime b) => a.CompareTo(b) > 0 ? a : b;
        var clock = new HybridTime(1000, 0);
        (long, int) Here(long now) => (clock = clock.Next(now)) is var t ? (t.Ms, t.Count) : default;
        (long, int) Heard(long ms, int count, long now) => (clock = Later(clock, new HybridTime(ms, count)).Next(now)) is var t ? (t.Ms, t.Count) : default;
        Here(1000).ShouldBe((1000, 1));
        Here(1005).ShouldBe((1005, 0));
        Here(1003).ShouldBe((1005, 1));
        Heard(1010, 4, 1006).ShouldBe((1010, 5));
        Heard(1010, 7, 1009).ShouldBe((1010, 8));
        Heard(1002, 9, 1010).ShouldBe((1010, 9));
        Heard(1004, 1, 1020).ShouldBe((1020, 0));
        Here(1020).ShouldBe((1020, 1));
        var random = new Random(7);
        for (var i = 0; i < 5000; i++)
        {
            var (before, other) = (clock, new HybridTime(random.Next(900, 1400), random.Next(5)));
            if (random.Next(2) == 0)
                Here(random.Next(900, 1400));
            else
            {
                Heard(other.Ms, other.Count, random.Next(900, 1400));
                clock.CompareTo(other).ShouldBeGreaterThan(0);
            }
            clock.CompareTo(before).ShouldBeGreaterThan(0);
        }
    }

    [Theory]
    [InlineData("1645557742000.3.00ff00ff00ff00ff.12", true)]
    [InlineData("1645557742000.3.00FF00ff00ff00ff.12", false)]
    [InlineData("1645557742000.3.00ff.12", false)]
    [InlineData("-5.3.00ff00ff00ff00ff.12", false)]
    [InlineData("5.3.00ff00ff00ff00ff.0", false)]
    [InlineData("5.99999999999.00ff00ff00ff00ff.1", false)]
    [InlineData("5.1000001.00ff00ff00ff00ff.1", false)]
    [InlineData("5.1.00ff00ff00ff00ff.1000000001", false)]
    [InlineData("", false)]
    [InlineData(null, false)]
    public void A_stamp_is_written_and_read(string? text, bool good)
    {
        EventStamp.Parse(text)?.ToString().ShouldBe(text);
        (EventStamp.Parse(text) is not null).ShouldBe(good);
    }

    [Fact]
    public void A_record_that_says_something_else_is_kept_out_and_told()
    {
        var merged = LogMerge.Of([Entry(1, 0, content: "18 N·m")], [Entry(1, 0, content: "17 N·m"), Entry(2, 1)]);
        merged.Altered.ShouldHaveSingleItem().Content.ShouldBe("17 N·m");
        merged.Entries.Select(e => e.Content).ShouldBe(["18 N·m", "2"]);
    }

    [Fact]
    public void A_correction_follows_what_it_corrects_whatever_its_clock_said() =>
        LogMerge.Ordered([Entry(3, -50, corrects: 2), Entry(2, 10, corrects: 1), Entry(1, 0), Entry(4, 5)]).Select(e => e.Content)
            .ShouldBe(["1", "4", "2", "3"]);

    [Fact]
    public void Random_histories_come_to_the_same_whoever_reads_first()
    {
        for (var seed = 0; seed < 500; seed++)
        {
            var random = new Random(seed);
            List<LogEntry> all = [.. Enumerable.Range(1, 30)
                .Select(i => Entry(i, random.Next(-20, 20), i > 1 && random.Next(3) == 0 ? random.Next(1, i) : null) with
                {
                    Stamp = random.Next(4) == 0 ? null
                        : new EventStamp(new HybridTime(Noon.ToUnixTimeMilliseconds() + random.Next(-20, 20) * 60000, random.Next(3)), i % 2 == 0 ? A : B, i),
                })];
            IReadOnlyList<LogEntry> Part() => LogMerge.Ordered([.. all.Where(_ => random.Next(2) == 0)]);
            var (a, b, c) = (Part(), Part(), Part());
            IReadOnlyList<LogEntry> M(IReadOnlyList<LogEntry> x, IReadOnlyList<LogEntry> y) => LogMerge.Of(x, y).Entries;
            M(a, b).ShouldBe(M(b, a));
            M(a, a).ShouldBe(a);
            M(M(a, b), c).ShouldBe(M(a, M(b, c)));
            M(a, b).Select(e => e.Id).ToHashSet().SetEquals(a.Concat(b).Select(e => e.Id)).ShouldBeTrue();
            foreach (var e in M(a, b).Where(e => e.Corrects is { } id && M(a, b).Any(o => o.Id == id)))
                M(a, b).ToList().FindIndex(o => o.Id == e.Corrects).ShouldBeLessThan(M(a, b).ToList().IndexOf(e));
        }
    }

    [Fact]
    public void Designs_that_stand_in_one_line_need_no_choice_and_those_apart_come_to_the_same_on_both()
    {
        var first = AnyDesign.Named["Marigold"];
        var (one, two) = (first with { Name = "one" }, first with { Name = "two" });
        DesignState State(string hash, double minute, params string[] before) => new(hash, Noon.AddMinutes(minute), before);
        DesignMerge.Of(State("a", 0), State("a", 9)).ShouldBe(DesignStands.Same);
        DesignMerge.Of(State("b", 1, "a"), State("a", 9)).ShouldBe(DesignStands.OursIsNewer);
        DesignMerge.Of(State("a", 9), State("b", 1, "a")).ShouldBe(DesignStands.TheirsIsNewer);
        var (ours, theirs) = (State("b", 5, "a"), State("c", 7, "a"));
        (DesignMerge.Of(ours, theirs), DesignMerge.Of(theirs, ours)).ShouldBe((DesignStands.Apart, DesignStands.Apart));
        (DesignMerge.TheirsWins(ours, theirs), DesignMerge.TheirsWins(theirs, ours)).ShouldBe((true, false));
        (DesignMerge.TheirsWins(State("b", 5), State("c", 5)), DesignMerge.TheirsWins(State("c", 5), State("b", 5))).ShouldBe((true, false));
        var (design, room) = DesignMerge.Together(two, one with { Start = one.Start with { CableM = 17 } }, Noon);
        room.ShouldBeTrue();
        design.Name.ShouldBe("two");
        var kept = design.Options.Single(o => o.Name == "put aside, of 2026-06-01 12:00 UTC");
        kept.In(design).Start.CableM.ShouldBe(17);
    }

    [Fact]
    public void A_design_without_room_for_one_option_more_keeps_those_it_has()
    {
        var design = AnyDesign.Named["Marigold"];
        var full = design with { Options = [.. Enumerable.Range(0, JobDesign.MostOptions).Select(i => OptionDesign.Of(design, $"{i}"))] };
        DesignMerge.Together(full, design with { Name = "other" }, Noon).ShouldBe((full, false));
    }

    [Fact]
    public void Of_two_corrections_of_one_reading_the_later_is_shown()
    {
        NitrogenRecord Read(int id, int? corrects, double bar) =>
            new(Numbered(id), Noon, "Wren", new NitrogenValues { GaugePa = bar * 1e5 }, corrects is { } c ? Numbered(c) : null);
        IReadOnlyList<NitrogenRecord> log = [Read(1, null, 20), Read(9, null, 30), Read(2, 1, 21), Read(3, 1, 22)];
        log.Standing().Select(r => r.Readings.GaugePa!.Value / 1e5).ShouldBe([22, 30]);
    }

    public static TheoryData<int, int, string[]> Backups => new()
    {
        { 100, 1, ["01-31", "02-28", "03-15", "03-22", "03-29", "03-31", "04-04", "04-05", "04-06", "04-07", "04-08", "04-09", "04-10"] },
        { 20, 3, ["01-31", "02-06", "02-09", "02-12", "02-15", "02-18", "02-21", "02-24", "02-27"] },
    };

    [Theory]
    [MemberData(nameof(Backups))]
    public void Backups_of_days_weeks_and_months_stay(int many, int apart, string[] kept) =>
        BackupKeeping.Kept(Enumerable.Range(0, many).Select(i => new DateOnly(2026, 1, 1).AddDays(i * apart))).Order()
            .Select(d => $"{d:MM-dd}").ShouldBe(kept);
}
