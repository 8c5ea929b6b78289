using System.Text;
using CsCheck;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Tests.References;

namespace Vanto.Core.Tests.Physics;

public class EpwFileTests
{
    private static readonly WeatherYear Made = new WeatherGenerator(SheetClimates.VanPlace, SheetClimates.Van).Year(42);
    private static readonly string File = EpwFile.Write(Made, "made for a test");

    [Fact]
    public void What_is_written_is_read_back()
    {
        var (year, findings) = EpwFile.Read(File);
        findings.ShouldBeEmpty();
        year.Place.LatitudeDeg.ShouldBe(34.2);
        year.Place.UtcOffsetH.ShouldBe(-7);
        year.Hours.ShouldBe(8760);
        year.GlobalKWhM2.ShouldBe(Made.GlobalKWhM2, 0.5);
        for (var h = 0; h < 8760; h += 97)
        {
            year.AirC[h].ShouldBe(Made.AirC[h], 0.006);
            year.HumidityRatio[h].ShouldBe(Made.HumidityRatio[h], Made.HumidityRatio[h] * 0.001);
        }
    }

    /// <summary>An invented record with its figures worked out by hand: 430 Wh/m² from the sky is 21.9466 °C.</summary>
    [Fact]
    public void A_record_is_read_field_by_field()
    {
        var lines = File.Split('\n');
        lines[8 + 200 * 24 + 14] =
            "2001,7,21,15,60,?9?9,38.5,11.6,20,97500,1190,1322,430,830,760,165,90000,75000,20000,3000,220,3.1,2,1,30.0,77777,9,999999999,18,.12,0,88,.25,0,0";
        var (year, _) = EpwFile.Read(string.Join('\n', lines));
        var at = 200 * 24 + 14;
        year.AirC[at].ShouldBe(38.5);
        year.GlobalWm2[at].ShouldBe(830);
        year.DirectWm2[at].ShouldBe(760);
        year.DiffuseWm2[at].ShouldBe(165);
        year.WindMs[at].ShouldBe(3.1);
        year.Cloud[at].ShouldBe(0.1);
        year.SkyC[at].ShouldBe(21.9466, 1e-4);
        MoistAir.DewPoint(year.HumidityRatio[at], 97500).ShouldBe(11.6, 1e-6);
    }

    [Fact]
    public void Short_gaps_are_bridged_and_said_long_ones_refuse_the_file()
    {
        EpwFile.Read(Missing(4)).Findings.ShouldContain(f => f.Code == "epw.bridged");
        Should.Throw<InputException>(() => EpwFile.Read(Missing(7))).Errors[0].Reason.ShouldContain("7 hours from line");
    }

    [Fact]
    public void A_leap_years_file_loses_its_extra_day()
    {
        var lines = File.TrimEnd('\n').Split('\n').ToList();
        lines.InsertRange(8 + 1416, lines.Skip(8 + 1392).Take(24).ToList());
        EpwFile.Read(string.Join('\n', lines)).Year.Hours.ShouldBe(8760);
    }

    [Theory]
    [InlineData("", "shorter")]
    [InlineData("hello", "shorter")]
    public void What_is_no_such_file_is_said(string text, string words) =>
        Should.Throw<InputException>(() => EpwFile.Read(text)).Errors[0].Reason.ShouldContain(words);

    [Fact]
    public void Faults_name_their_line()
    {
        Refused(l => l[0] = "PLACE,x").ShouldContain("line 1 must begin with LOCATION");
        Refused(l => l[0] = "LOCATION,x,-,-,-,0,134,0,0,0").ShouldContain("latitude must be -90 to 90");
        Refused(l => l.RemoveAt(20)).ShouldContain("8759");
        Refused(l => l[30] = l[30].Replace(",", ";")).ShouldContain("line 31");
        Refused(l => l[30] = string.Join(',', l[30].Split(',').Take(30))).ShouldContain("this one has 30");
        Refused(l => { var p = l[40].Split(','); p[6] = "38,5"; l[40] = string.Join(',', p); }).ShouldContain("line 41");
        Refused(l => { var p = l[50].Split(','); p[6] = "88"; l[50] = string.Join(',', p); }).ShouldContain("dry bulb must be -70 to 70; got 88");
        Refused(l => { var p = l[60].Split(','); p[3] = "25"; l[60] = string.Join(',', p); }).ShouldContain("line 61: hour");
    }

    /// <summary>Cut off, other encodings, noise: a clear error, never a crash.</summary>
    [Fact]
    public void Any_damage_is_read_or_refused_in_words()
    {
        Gen.Select(Gen.Int[0, File.Length - 1], Gen.Int[0, 3], Gen.String).Each((at, how, noise) =>
        {
            var text = how switch
            {
                0 => File[..at],
                1 => File.Insert(at, noise),
                2 => File.Remove(at, Math.Min(40, File.Length - at)),
                _ => Encoding.Latin1.GetString(Encoding.Unicode.GetBytes(File[..Math.Min(at, 4000)])),
            };
            try
            {
                EpwFile.Read(text).Year.Hours.ShouldBe(8760);
            }
            catch (InputException e)
            {
                e.Errors.ShouldAllBe(x => x.Reason.Length > 10);
            }
        }, iter: 40);
    }

    private static string Refused(Action<List<string>> spoil)
    {
        var lines = File.TrimEnd('\n').Split('\n').ToList();
        spoil(lines);
        return string.Join("; ", Should.Throw<InputException>(() => EpwFile.Read(string.Join('\n', lines))).Errors.Select(e => e.Reason));
    }

    private static string Missing(int hours)
    {
        var lines = File.TrimEnd('\n').Split('\n');
        for (var i = 0; i < hours; i++)
        {
            var parts = lines[1000 + i].Split(',');
            parts[6] = "99.9";
            lines[1000 + i] = string.Join(',', parts);
        }
        return string.Join('\n', lines);
    }
}
