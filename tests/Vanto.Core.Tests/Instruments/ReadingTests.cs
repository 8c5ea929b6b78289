using System.Buffers;
using System.Text;
using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Instruments;
using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Instruments;

/// <summary>Messages, what becomes of them, and traces. The form of the messages is the product's own.</summary>
public class ReadingTests
{
    private const string Topic = "vanto/v1/j-104/vac-1/pressure.absolute";
    private static readonly DateTimeOffset Noon = new(2031, 5, 4, 12, 0, 0, TimeSpan.Zero);

    private static (string Job, InstrumentReading? Reading, string Refused) Read(string json, string topic = Topic) =>
        InstrumentMessage.Read(topic, new ReadOnlySequence<byte>(Encoding.UTF8.GetBytes(json)));

    private const string Good = """
        {"v":1,"job":"j-104","instrument":"vac-1","quantity":"pressure.absolute","value":66.66,"unit":"Pa","ts":"2031-05-04T09:12:31.500Z","seq":4821,
        "quality":"good","sim":true,"rate":60}
        """;

    [Fact]
    public void A_message_is_read_and_written_the_same()
    {
        var (job, reading, refused) = Read(Good);
        (job, refused).ShouldBe(("j-104", ""));
        reading!.ShouldBe(new InstrumentReading("vac-1", InstrumentQuantity.AbsolutePressure, 66.66,
            new DateTimeOffset(2031, 5, 4, 9, 12, 31, 500, TimeSpan.Zero), 4821, ReadingQuality.Good, true, 60));
        var written = new ReadOnlySequence<byte>(InstrumentMessage.Write(job, reading!));
        InstrumentMessage.Read(InstrumentMessage.Topic(job, "vac-1", InstrumentQuantity.AbsolutePressure), written).Reading.ShouldBe(reading);
    }

    [Theory]
    [InlineData("\"v\":1", "\"v\":2", "version")]
    [InlineData("\"unit\":\"Pa\"", "\"unit\":\"micron\"", "comes in Pa")]
    [InlineData("66.66", "NaN", "JSON")]
    [InlineData("66.66", "1e999", "no value")]
    [InlineData("66.66", "null", "no value")]
    [InlineData("66.66", "\"66.66\"", "no value")]
    [InlineData("4821", "-1", "seq")]
    [InlineData("4821", "1.5", "seq")]
    [InlineData("2031-05-04T09:12:31.500Z", "yesterday", "no moment")]
    [InlineData("\"good\"", "\"fine\"", "not known")]
    public void What_cannot_be_read_is_refused_with_its_reason(string part, string instead, string why) =>
        Read(Good.Replace(part, instead)).ShouldSatisfyAllConditions(r => r.Reading.ShouldBeNull(), r => r.Refused.ShouldContain(why));

    [Theory]
    [InlineData("vanto/v1/j-104/vac-1/weight")]
    [InlineData("vanto/v1/j-104/VAC/pressure.absolute")]
    [InlineData("vanto/v2/j-104/vac-1/pressure.absolute")]
    [InlineData("vanto/v1/j-104/vac-1/pressure.absolute/more")]
    [InlineData("")]
    public void Other_topics_are_refused(string topic) => Read(Good, topic).Refused.ShouldNotBeEmpty();

    [Fact]
    public void No_bytes_however_wild_throw()
    {
        var chance = new SplitMix64(11);
        for (var i = 0; i < 5000; i++)
        {
            var bytes = Encoding.UTF8.GetBytes(Good);
            for (var n = 0; n < 1 + (int)(chance.Uniform() * 6); n++)
                bytes[(int)(chance.Uniform() * bytes.Length)] = (byte)(chance.Uniform() * 256);
            var (_, reading, refused) = InstrumentMessage.Read(Topic, new ReadOnlySequence<byte>(bytes.AsMemory(0, (int)(chance.Uniform() * bytes.Length))));
            (reading is null).ShouldBe(refused.Length > 0);
        }
    }

    private static InstrumentReading At(double seconds, long seq, double value = 1) =>
        new("vac-1", InstrumentQuantity.AbsolutePressure, value, Noon.AddSeconds(seconds), seq, ReadingQuality.Good);

    [Fact]
    public void Doubles_are_dropped_gaps_counted_and_what_comes_late_is_marked()
    {
        var feed = new InstrumentFeed();
        feed.Take(At(0, 0), Noon).ShouldBe(Arrival.Taken);
        feed.Take(At(1, 1), Noon.AddSeconds(1)).ShouldBe(Arrival.Taken);
        feed.Take(At(1, 1), Noon.AddSeconds(1)).ShouldBe(Arrival.Duplicate);
        feed.Take(At(4, 4), Noon.AddSeconds(4)).ShouldBe(Arrival.Taken);
        feed.Missing.ShouldBe(2);
        feed.Take(At(3, 3), Noon.AddSeconds(5)).ShouldBe(Arrival.Taken, "late by a second is still in time");
        feed.Missing.ShouldBe(1);
        feed.Last!.Seq.ShouldBe(4);
        feed.Take(At(400, 5), Noon.AddSeconds(400)).ShouldBe(Arrival.Taken);
        feed.Take(At(2, 2), Noon.AddSeconds(401)).ShouldBe(Arrival.Late);
        feed.Take(At(500, 6), Noon.AddSeconds(402)).ShouldBe(Arrival.Suspect, "a minute and a half ahead of this clock");
        feed.Take(At(403, 0), Noon.AddSeconds(403)).ShouldBe(Arrival.NewRun);
        feed.Runs.ShouldBe(2);
    }

    [Fact]
    public void Silence_of_five_periods_is_stale()
    {
        var feed = new InstrumentFeed();
        for (var i = 0; i < 20; i++)
            feed.Take(At(2 * i, i), Noon.AddSeconds(2 * i));
        feed.Stale(Noon.AddSeconds(38 + 9)).ShouldBeFalse();
        feed.Stale(Noon.AddSeconds(38 + 11)).ShouldBeTrue();
    }

    [Fact]
    public void A_thinned_trace_keeps_every_extreme_its_ends_and_its_gaps()
    {
        var chance = new SplitMix64(3);
        for (var run = 0; run < 50; run++)
        {
            var points = Enumerable.Range(0, 5000).Select(i => new TracePoint(i * 1000 + (long)(chance.Uniform() * 900),
                chance.Uniform() < 0.01 ? null : chance.Normal())).ToList();
            var thin = Trace.Thinned(points, 400);
            thin.Count.ShouldBeLessThanOrEqualTo(520);
            (thin.Max(p => p.Value), thin.Min(p => p.Value)).ShouldBe((points.Max(p => p.Value), points.Min(p => p.Value)));
            (thin[0], thin[^1]).ShouldBe((points[0], points[^1]));
            thin.ShouldBe(thin.OrderBy(p => p.Ms));
            thin.ShouldAllBe(p => points.Contains(p));
        }
    }

    /// <summary>Worked by hand: median 9, so a gap is over 27.</summary>
    [Fact]
    public void A_grid_is_straight_between_neighbours_and_empty_in_a_gap()
    {
        TracePoint[] points = [new(0, 10), new(7, 11), new(13, 12), new(22, 13), new(61, 20), new(70, 21)];
        var grid = Trace.Resampled(points, 10);
        grid.Select(p => p.Value is { } v ? Math.Round(v, 4) : (double?)null).ShouldBe([10, 11.5, 12.7778, null, null, null, null, 21]);
        Trace.Resampled(points.Reverse(), 10).ShouldBe(grid);
        var straight = Enumerable.Range(0, 50).Select(i => new TracePoint(i * 7, 2 * i * 7.0));
        Trace.Resampled(straight, 10).ShouldAllBe(p => Math.Abs(p.Value!.Value - 2 * p.Ms) < 1e-9);
    }

    private static readonly Taking Wren = new("Wren", Noon, Guid.NewGuid);

    [Fact]
    public void A_hold_is_taken_over_from_its_lowest_reading_each_as_it_was_read()
    {
        List<TracePoint> points = [.. Enumerable.Range(0, 4000).Select(i => new TracePoint(i * 1000L, i < 1200 ? 5000 - 4 * i : 200 + 0.05 * (i - 1200)))];
        var taken = FromInstruments.Vacuum(new TakenTrace("vac-1", true, points), null, null, Wren).Cast<VacuumRecord>().ToList();
        taken.Count.ShouldBeInRange(100, 121);
        (taken[0].Readings.ShutOff, taken[0].Readings.Minute).ShouldBe((true, 0));
        taken[0].By.ShouldBe("Wren, vac-1, simulated");
        taken.ShouldAllBe(r => points.Any(p => p.Value == r.Readings.Value));
        taken[^1].Readings.Minute!.Value.ShouldBe(2799 / 60.0, 0.1);
        Should.Throw<InputException>(() => FromInstruments.Vacuum(new TakenTrace("vac-1", false, points[..1]), null, null, Wren));
    }

    [Fact]
    public void A_start_up_takes_what_stands_steady_and_leaves_what_moves()
    {
        TakenTrace Of(string name, Func<int, double> value) => new(name, false, [.. Enumerable.Range(0, 60).Select(i => new TracePoint(i * 1000L, value(i)))]);
        var taken = (CommissionRecord)FromInstruments.StartUp(new Dictionary<(string, InstrumentQuantity), TakenTrace>
        {
            [("clamp", InstrumentQuantity.Power)] = Of("clamp", i => 780 + i % 5),
            [("clamp", InstrumentQuantity.Current)] = Of("clamp", i => 5 + 0.1 * i),
            [("hygro-return", InstrumentQuantity.Temperature)] = Of("hygro-return", _ => 300.15),
            [("hygro-return", InstrumentQuantity.RelativeHumidity)] = Of("hygro-return", _ => 0.47),
        }, InstrumentPlaces.Of([]), null, Wren);
        taken.Readings.RunW!.Value.ShouldBe(782, 0.1);
        taken.Readings.RunA.ShouldBeNull("it rises through the minute");
        taken.Readings.EnteringC!.Value.ShouldBe(27, 1e-9);
        taken.Readings.EnteringRhPct!.Value.ShouldBe(47, 1e-9);
        taken.By.ShouldBe("Wren, instruments");
    }

    [Fact]
    public void An_instrument_reads_where_it_was_put_last_whatever_its_name_says()
    {
        PlacedRecord Put(string instrument, InstrumentPlace place) =>
            new(Guid.CreateVersion7(), DateTimeOffset.UnixEpoch, "Wren", new PlacedValues { Instrument = instrument, Place = place }, null);
        var places = InstrumentPlaces.Of(
            [Put("probe-7", InstrumentPlace.Space), Put("probe-7", InstrumentPlace.Supply), Put("hygro-supply", InstrumentPlace.NotSaid)]);
        TakenTrace Of(string name, double kelvin) => new(name, false, [.. Enumerable.Range(0, 60).Select(i => new TracePoint(i * 1000L, kelvin))]);
        var taken = (CommissionRecord)FromInstruments.StartUp(new Dictionary<(string, InstrumentQuantity), TakenTrace>
        {
            [("probe-7", InstrumentQuantity.Temperature)] = Of("probe-7", 285.15),
            [("hygro-supply", InstrumentQuantity.Temperature)] = Of("hygro-supply", 300.15),
        }, places, null, Wren);
        taken.Readings.LeavingC!.Value.ShouldBe(12, 1e-9);
        Should.Throw<InputException>(() => places.MustShowTheSpace("probe-7")).Message.ShouldContain("air out of the head");
        places.MustShowTheSpace("hygro-return");
        places.MustShowTheSpace("never-named");
    }
}
