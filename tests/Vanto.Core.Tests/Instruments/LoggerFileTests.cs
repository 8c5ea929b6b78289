using Vanto.Core.Findings;
using Vanto.Core.Instruments;
using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Instruments;

/// <summary>Tables of loggers: what is clear is taken, what can mean two things is asked. Common practice, no published source.</summary>
public class LoggerFileTests
{
    private static List<IReadOnlyList<string>> Rows(string text) => [.. text.Split('\n').Select(l => (IReadOnlyList<string>)l.Split(';'))];

    private const string Vacuum = """
        some logger, serial 7
        exported
        Time;Vacuum (micron);Ambient [°F];Suction (psi);Humidity %RH
        2027-03-02 14:00:00;311.6;95;120.1;44
        2027-03-02 14:00:05;318.2;95;120.2;44
        2027-03-02 14:00:10;322.0;95.1;;45
        rubbish;;;;
        2027-03-02 13:00:00;400;95;120.3;44
        """;

    [Fact]
    public void Headings_tell_the_units_and_what_is_not_clear_is_asked()
    {
        var guess = LoggerFile.Guess(Rows(Vacuum));
        guess.HeaderRow.ShouldBe(2);
        (guess.TimeColumn, guess.Time, guess.AsksZone, guess.AsksStart).ShouldBe((0, LoggerTime.Iso, true, false));
        guess.Columns.Select(c => string.Join("|", c.Units)).ShouldBe(["", "micron", "°F", "psi gauge|psi absolute", "%RH"]);
    }

    [Fact]
    public void It_is_read_as_it_was_confirmed_and_rows_that_cannot_be_are_named()
    {
        var mapping = new LoggerMapping([new(1, "micron", "vac-1"), new(2, "°F", "air"), new(3, "psi gauge", "man")], 120, null, 10);
        var read = LoggerFile.Read(Rows(Vacuum), mapping);
        read.Rejected.ShouldBe([new RejectedRow(7, "no time: \"rubbish\"")]);
        (read.Steps, read.Rows, read.ManyRejected).ShouldBe((1, 5, true));
        var first = read.Readings.First(r => r.Instrument == "vac-1" && r.Value < 42);
        first.Value!.Value.ShouldBe(311.6 * 0.133322368, 1e-6);
        first.At.ShouldBe(new DateTimeOffset(2027, 3, 2, 12, 0, 10, TimeSpan.Zero), "two hours ahead of UTC, and ten seconds behind");
        read.Readings.First(r => r.Instrument == "air").Value!.Value.ShouldBe(308.15, 1e-6);
        read.Readings.Count(r => r.Instrument == "man").ShouldBe(3);
        read.Readings.ShouldBe(read.Readings.OrderBy(r => r.At));
    }

    [Theory]
    [InlineData("Elapsed s", "0", "60", LoggerTime.ElapsedS, 60)]
    [InlineData("Time min", "0", "1", LoggerTime.ElapsedMin, 60)]
    [InlineData("time", "0:00:00", "0:01:00", LoggerTime.ElapsedHms, 60)]
    [InlineData("time", "46083.5", "46083.50069444", LoggerTime.SpreadsheetDay, 60)]
    [InlineData("time", "1804075200", "1804075260", LoggerTime.UnixS, 60)]
    [InlineData("time", "1804075200000", "1804075260000", LoggerTime.UnixMs, 60)]
    [InlineData("timestamp", "2027-03-02T12:00:00+02:00", "2027-03-02T12:01:00+02:00", LoggerTime.Iso, 60)]
    public void Time_is_read_in_each_of_its_forms(string heading, string first, string second, LoggerTime form, double apartS)
    {
        var rows = Rows($"{heading};Current (A)\n{first};5\n{second};6");
        var guess = LoggerFile.Guess(rows);
        guess.Time.ShouldBe(form);
        var read = LoggerFile.Read(rows, new LoggerMapping([new(1, "A", "clamp")], 0, guess.AsksStart ? DateTimeOffset.UnixEpoch : null));
        (read.Readings[1].At - read.Readings[0].At).TotalSeconds.ShouldBe(apartS, 0.01);
    }

    [Fact]
    public void A_decimal_comma_is_seen()
    {
        var rows = Rows("Zeit time;Strom (A)\n2027-03-02 14:00:00;5,25\n2027-03-02 14:00:05;5,5");
        LoggerFile.Guess(rows).DecimalComma.ShouldBeTrue();
        LoggerFile.Read(rows, new LoggerMapping([new(1, "A", "clamp")])).Readings.Select(r => r.Value).ShouldBe([5.25, 5.5]);
    }

    [Fact]
    public void Nothing_is_assumed_that_was_not_confirmed()
    {
        void Refused(LoggerMapping m, string field) =>
            Should.Throw<InputException>(() => LoggerFile.Read(Rows(Vacuum), m)).Errors.ShouldContain(e => e.Field == field);
        Refused(new LoggerMapping([]), "columns");
        Refused(new LoggerMapping([new(9, "A", "clamp")]), "columns");
        Refused(new LoggerMapping([new(1, "furlong", "clamp")]), "columns");
        Refused(new LoggerMapping([new(1, "micron", "Vac 1")]), "columns");
        Refused(new LoggerMapping([new(1, "micron", "a"), new(3, "micron", "a")]), "columns");
        Refused(new LoggerMapping([new(1, "micron", "a")], 900), "zoneMin");
        Refused(new LoggerMapping([new(1, "micron", "a")], 0, null, double.NaN), "clockS");
        Should.Throw<InputException>(() => LoggerFile.Read(Rows("Elapsed s;A\n0;5\n1;6"), new LoggerMapping([new(1, "A", "c")])))
            .Errors.ShouldContain(e => e.Field == "start");
        Should.Throw<InputException>(() => LoggerFile.Guess(Rows("1;2\n3;4")));
    }

    [Fact]
    public void What_cannot_be_is_kept_and_marked()
    {
        var read = LoggerFile.Read(Rows("time;Air (°C)\n2027-03-02 14:00:00;900"), new LoggerMapping([new(1, "°C", "air")]));
        (read.Doubtful, read.Readings.Single().Quality).ShouldBe((1, ReadingQuality.Suspect));
    }

    /// <summary>Random tables: whatever stands in them, they are read or refused with a reason, and no row is lost without a word.</summary>
    [Fact]
    public void No_table_however_wild_throws_anything_else()
    {
        var chance = new SplitMix64(5);
        string[] cells = ["", "5", "-1e308", "NaN", "∞", "1,5", "2027-03-02 14:00:00", "9999-12-31 23:59:59", "0:00:01", "99999999:00", "1e30", "time",
            "\"", "°C"];
        var read = 0;
        for (var i = 0; i < 3000; i++)
        {
            var rows = Enumerable.Range(0, 1 + (int)(chance.Uniform() * 8)).Select(_ => (IReadOnlyList<string>)[.. Enumerable.Range(0,
                (int)(chance.Uniform() * 5)).Select(_ => cells[(int)(chance.Uniform() * cells.Length)])]).ToList();
            if (chance.Uniform() < 0.7)
                rows.Insert(0, ["time", "Current (A)"]);
            try
            {
                var got = LoggerFile.Read(rows, new LoggerMapping([new(1, "A", "clamp")], 0, DateTimeOffset.MaxValue.AddDays(-1)));
                got.Readings.ShouldAllBe(r => double.IsFinite(r.Value!.Value));
                read++;
            }
            catch (InputException)
            {
                // Refused with its reason.
            }
        }
        read.ShouldBeGreaterThan(50);
    }
}
