using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Vanto.Core.Job;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Rigs;

/// <summary>Rigs that once took the yard away, and changes that once were stored although they could not be answered.</summary>
public class HardRigTests(RunningServer server) : IClassFixture<RunningServer>
{
    public static TheoryData<string> Files =>
        [.. Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Hard")).Select(f => Path.GetFileNameWithoutExtension(f))];

    private static string Text(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Hard", name + ".json"));

    private Task<HttpResponseMessage> Import(string text) =>
        server.Http.PostAsync("/api/rigs/import", new StringContent(text, Encoding.UTF8, "application/json"));

    private async Task<JsonArray> Yard() => (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray();

    [Theory]
    [MemberData(nameof(Files))]
    public async Task It_is_read_in_and_opens_or_is_refused_and_not_kept_and_the_yard_answers(string file)
    {
        var before = (await Yard()).Count;
        var answer = await Import(Text(file));
        ((int)answer.StatusCode).ShouldBeOneOf(201, 400);
        var yard = await Yard();
        yard.Count.ShouldBe(answer.StatusCode == HttpStatusCode.Created ? before + 1 : before);
        if (answer.StatusCode != HttpStatusCode.Created)
        {
            (await Read(answer, HttpStatusCode.BadRequest)).Text("/title").ShouldNotBeEmpty();
            return;
        }
        var view = await server.View((await Read(answer, HttpStatusCode.Created)).Id());
        view["assessment"]!["states"]!.AsObject().Count.ShouldBe(StationRegistry.Standard.All.Count);
        ((int)(await server.Http.PostAsync("/api/assess", new StringContent(Text(file), Encoding.UTF8, "application/json"))).StatusCode).ShouldBe(200);
        foreach (var study in new[] { "limited-power", "start-study", "options" })
            ((int)(await server.Http.GetAsync($"/api/rigs/{view.Id()}/{study}")).StatusCode).ShouldBeOneOf(200, 400);
    }

    [Fact]
    public async Task A_rig_that_cannot_be_read_is_listed_as_such_saved_as_it_lies_and_removed()
    {
        var good = await server.Begin("Whole");
        var damaged = await server.Begin("Damaged");
        const string text = "{\"name\":\"Damaged\",\"survey\":{\"space\":{\"lengthM\":\"long\"}}}";
        Execute("UPDATE Revisions SET Design = $text WHERE RigId = $id", ("$text", text), ("$id", Guid.Parse(damaged.Id()).ToString().ToUpperInvariant()));

        var yard = await Yard();
        var line = yard.Single(r => r!.Id() == damaged.Id())!;
        line.Text("/name").ShouldBe("Damaged");
        line.Text("/fault").ShouldContain("survey.space.lengthM");
        line["survey"].ShouldBeNull();
        yard.Single(r => r!.Id() == good.Id())!.Text("/fault").ShouldBeEmpty();

        var refused = await Read(await server.Http.GetAsync($"/api/rigs/{damaged.Id()}"), HttpStatusCode.UnprocessableEntity);
        refused.Text("/detail").ShouldContain("saved as it lies");
        (await server.Http.GetStringAsync($"/api/rigs/{damaged.Id()}/job-file")).ShouldBe(text);
        (await server.Patch(damaged.Id(), 1, [Typed("/survey/space/widthM", "2")])).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await server.Http.DeleteAsync($"/api/rigs/{damaged.Id()}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Yard()).ShouldNotContain(r => r!.Id() == damaged.Id());
    }

    [Fact]
    public async Task A_damaged_rig_comes_back_by_its_history()
    {
        var rig = await server.Begin("Comes back");
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")]));
        Execute("UPDATE Revisions SET Design = 'x' WHERE RigId = $id AND Number = 2", ("$id", Guid.Parse(rig.Id()).ToString().ToUpperInvariant()));
        (await server.Http.GetAsync($"/api/rigs/{rig.Id()}")).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/restore", new { revision = 2 }), HttpStatusCode.BadRequest)).Text("/title")
            .ShouldNotBeEmpty();
        (await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/restore", new { revision = 9 }), HttpStatusCode.BadRequest)).Text("/title")
            .ShouldContain("9");
        (await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/restore", new { revision = 1 }))).Number("/design/survey/space/widthM")
            .ShouldBe(1.9);
    }

    [Fact]
    public async Task A_window_of_no_length_is_kept_and_said_at_its_field()
    {
        var rig = await server.Begin("Window");
        await Read(await server.Patch(rig.Id(), 1, [Typed("/energy/from", "24:00")]));
        var second = await Read(await server.Patch(rig.Id(), 2, [Typed("/energy/to", "0:00")]));
        var fault = second["assessment"]!["faults"]!.AsArray().First(f => f!.Text("/station") == "energy")!;
        fault.Text("/errors/0/field").ShouldBe("energy.to");
        (await server.View(rig.Id())).Number("/design/energy/to").ShouldBe(0);
        await Read(await server.Patch(rig.Id(), 3, [Typed("/energy/to", "7:00")]));
        (await server.View(rig.Id()))["assessment"]!["faults"]!.AsArray().Count.ShouldBe(0);
    }

    [Theory]
    [InlineData("ms,A\n0,10\n50,30\n100,60\n")]
    [InlineData("ms,A\n0,30\n50,30\n100,30\n")]
    public async Task A_record_of_a_start_that_ends_too_early_is_read_and_said(string csv)
    {
        var rig = await server.Begin("Recorder", "rv");
        await Read(await server.Patch(rig.Id(), 1, [Set("/unit/chosen", "RT-11-115"), Set("/start/remedy", "none")]));
        var read = await Read(await server.Http.PostAsync($"/api/rigs/{rig.Id()}/measured-start", new StringContent(csv)));
        read["assessment"]!["start"]!["findings"]!.AsArray().Select(f => f!.Text("/code")).ShouldContain("start.measured-short");
        (await Yard()).ShouldContain(r => r!.Id() == rig.Id());
    }

    [Fact]
    public async Task Uploads_at_the_same_moment_are_all_kept()
    {
        var rig = await server.Begin("Uploads");
        static string Csv(int i) =>
            $"id,kind,supplyVoltageV,frequencyHz,ratedCapacityW,ratedPowerW,minCapacityW,maxCapacityW\nown-{i},miniSplitInverter,120,60,3000,900,900,3300\n";
        var answers =
            await Task.WhenAll(Enumerable.Range(0, 16).Select(i => server.Http.PostAsync($"/api/rigs/{rig.Id()}/units.csv", new StringContent(Csv(i)))));
        answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
        (await server.View(rig.Id()))["design"]!["unit"]!["own"]!.AsArray().Select(u => u!.Text("/id")).Order()
            .ShouldBe(Enumerable.Range(0, 16).Select(i => $"own-{i}").Order());
    }

    [Fact]
    public async Task A_file_read_while_another_tab_types_is_not_lost()
    {
        var rig = await server.Begin("Both");
        var typing = Task.Run(async () =>
        {
            for (var i = 0; i < 12; i++)
                await Read(await server.Patch(rig.Id(), (await server.View(rig.Id())).Revision(),
                    [Typed("/survey/space/widthM", (2 + i / 100.0).ToString(System.Globalization.CultureInfo.InvariantCulture))]));
        });
        var weather = await server.Http.GetStringAsync($"/api/rigs/{(await WithMonths()).Id()}/weather.epw");
        (await server.Http.PostAsync($"/api/rigs/{rig.Id()}/weather?name=here.epw", new StringContent(weather))).StatusCode.ShouldBe(HttpStatusCode.OK);
        await typing;
        (await server.View(rig.Id())).Text("/design/survey/climate/weatherFile").ShouldEndWith("here.epw");
    }

    [Fact]
    public async Task A_weather_file_of_many_records_an_hour_fits()
    {
        var rig = await server.Begin("Large");
        var large = new string('x', 5 << 20);
        var refused = await Read(await server.Http.PostAsync($"/api/rigs/{rig.Id()}/weather", new StringContent(large)), HttpStatusCode.BadRequest);
        refused.Text("/title").ShouldContain("EPW", customMessage: "read and found wanting, not turned away for its size");
        // Asks before it sends: the server ends the connection of one that goes on sending what it has refused.
        using var import =
            new HttpRequestMessage(HttpMethod.Post, "/api/rigs/import") { Content = new StringContent(large, Encoding.UTF8, "application/json") };
        import.Headers.ExpectContinue = true;
        (await Read(await server.Http.SendAsync(import), HttpStatusCode.RequestEntityTooLarge)).Text("/detail").ShouldContain("4 MB");
    }

    [Theory]
    [InlineData("/survey/space/WidthM")]
    [InlineData("/Survey/space/widthM")]
    [InlineData("/survey/space/lenghtM")]
    [InlineData("/version")]
    public async Task A_path_that_is_no_field_is_refused(string path)
    {
        var rig = await server.Begin("Paths");
        (await Read(await server.Patch(rig.Id(), 1, [Set(path, 2)]), HttpStatusCode.BadRequest)).Text("/title").ShouldContain("no field");
        (await server.View(rig.Id())).Revision().ShouldBe(1);
    }

    [Fact]
    public async Task Another_spelling_of_a_path_is_the_same_field_to_a_conflict()
    {
        var rig = await server.Begin("Spelling");
        await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/widthM", "2.1")], "one"));
        (await server.Patch(rig.Id(), 1, [Typed("//survey//space/widthM/", "2.2")], "two")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.Patch(rig.Id(), 99, [Typed("/survey/space/widthM", "2.3")], "after a restore")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await server.View(rig.Id())).Number("/design/survey/space/widthM").ShouldBe(2.1);
    }

    [Fact]
    public async Task A_correction_leaves_the_readings_it_does_not_name()
    {
        var rig = await server.Begin("Readings");
        var first = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/records",
            new { kind = "start-up", by = "Wren", units = "customary", values = new { runW = "1134", vacuumStartPa = "310 micron", runA = "9.97" } }));
        var id = first["records"]![0]!.Id();
        var second = await Read(
            await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/records",
                new { kind = "start-up", by = "Wren", values = new { runA = "9.5" }, corrects = id }));
        var corrected = second["records"]![1]!["readings"]!;
        corrected.Number("/runA").ShouldBe(9.5);
        corrected.Number("/runW").ShouldBe(1134);
        corrected.Number("/vacuumStartPa").ShouldBe(first["records"]![0]!["readings"]!.Number("/vacuumStartPa"));
        var third = await Read(await server.Http.PostAsJsonAsync($"/api/rigs/{rig.Id()}/records",
            new { kind = "start-up", by = "Wren", values = new { runW = "" }, corrects = second["records"]![1]!.Id() }));
        third["records"]![2]!["readings"]!["runW"].ShouldBeNull("typed empty is taken away");
    }

    [Fact]
    public async Task A_range_is_told_wholly_in_the_readers_units()
    {
        var rig = await server.Begin("Feet");
        var problem = await Read(await server.Patch(rig.Id(), 1, [Typed("/survey/space/lengthM", "1")], units: "customary"), HttpStatusCode.BadRequest);
        problem.Text("/errors/0/unit").ShouldBe("ft");
        problem.Number("/errors/0/min").ShouldBe(0.8 / 0.3048, 1e-6);
        problem.Number("/errors/0/max").ShouldBe(40 / 0.3048, 1e-6);
        problem.Text("/errors/0/given").ShouldBe("1");
        problem.Text("/title").ShouldContain("2.62467 ft to 131.234 ft; got 1 ft");
    }

    [Fact]
    public async Task Unknown_parts_of_own_units_are_kept()
    {
        const string file =
            "{\"survey\":{},\"unit\":{\"own\":[{\"id\":\"own-1\",\"ratedCapacityW\":2700,\"ratedPowerW\":980,\"rlaA\":7.6,\"colour\":\"blue\"}]}}";
        var rig = await Read(await Import(file), HttpStatusCode.Created);
        (await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/job-file")).ShouldContain("\"colour\": \"blue\"");
    }

    [Fact]
    public async Task A_spreadsheet_takes_no_name_for_a_formula()
    {
        const string file =
            "{\"survey\":{},\"unit\":{\"own\":[{\"id\":\"=1+1\",\"ratedCapacityW\":2700,\"ratedPowerW\":980,\"rlaA\":7.6,\"heatingLowestC\":-15}]}}";
        var rig = await Read(await Import(file), HttpStatusCode.Created);
        var csv = await server.Http.GetStringAsync($"/api/rigs/{rig.Id()}/units.csv");
        csv.ShouldContain("\n'=1+1,");
        csv.ShouldContain(",-15,");
        var back = await Read(await server.Http.PostAsync($"/api/rigs/{rig.Id()}/units.csv", new StringContent(csv)));
        back["design"]!["unit"]!["own"]!.AsArray().Single()!.Text("/id").ShouldBe("=1+1");
    }

    [Theory]
    [InlineData("{\"survey\":{\"windows\":[null]}}", "survey.windows[0] is missing")]
    [InlineData("{\"survey\":{},\"unit\":{\"own\":[null]}}", "unit.own[0] is missing")]
    [InlineData("{\"survey\":{\"space\":{\"lengthM\":5,\"lengthM\":6}}}", "lengthM")]
    [InlineData("{\"Version\":3,\"survey\":{}}", "version 3")]
    public async Task What_a_file_lacks_or_says_twice_is_named(string file, string words)
    {
        var refused = await Read(await Import(file), HttpStatusCode.BadRequest);
        refused.Text("/detail").ShouldContain(words);
    }

    [Fact]
    public async Task Lists_and_names_have_a_longest()
    {
        var many = "{\"survey\":{\"further\":[" + string.Join(',', Enumerable.Repeat("{}", 3000)) + "]}}";
        (await Read(await Import(many), HttpStatusCode.BadRequest)).Text("/detail").ShouldContain("3000 rows; at most 12");
        (await Read(await Import($"{{\"name\":\"{new string('n', 3_000_000)}\",\"survey\":{{}}}}"), HttpStatusCode.BadRequest)).Text("/detail")
            .ShouldContain("3000000 characters; at most 80");
    }

    private async Task<JsonNode> WithMonths()
    {
        var rig = await server.Begin("Months");
        var months = new JsonArray(
            [.. Enumerable.Range(0, 12).Select(
                _ => new JsonObject { ["maxC"] = 30, ["minC"] = 18, ["clearness"] = 0.6, ["humidityPct"] = 40, ["windMs"] = 3 })]);
        await Read(await server.Patch(rig.Id(), 1, [Set("/survey/climate/months", months)]));
        return rig;
    }

    private void Execute(string sql, params (string Name, string Value)[] parameters)
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = server.Store }.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        foreach (var (name, value) in parameters)
            command.Parameters.AddWithValue(name, value);
        command.ExecuteNonQuery().ShouldBe(1);
    }
}
