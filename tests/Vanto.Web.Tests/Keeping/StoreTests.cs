using System.Diagnostics;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;
using Vanto.Core.Exchange;
using Vanto.Storage;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Keeping;

/// <summary>The store's file: made, upgraded, locked, restored, and what is said when it cannot be used.</summary>
public sealed class StoreTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2027, 3, 2, 9, 0, 0, TimeSpan.Zero);
    private readonly string _folder = Directory.CreateTempSubdirectory("vanto-store-").FullName;

    private string Store => Path.Combine(_folder, "vanto.db");

    private string Beside(string name) => Path.Combine(_folder, name);

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static object? Ask(string file, string sql)
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = file, Pooling = false }.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }

    /// <summary>A store as the first Vanto left it: the newest migration not yet applied, one rig in it.</summary>
    private void Older()
    {
        StoreFile.Prepare(Store);
        Ask(Store, "DROP TABLE Attachments; DELETE FROM __EFMigrationsHistory WHERE MigrationId LIKE '%Attachments';");
        Ask(Store, "INSERT INTO Rigs(Id, CreatedAt, Position) VALUES('00000000-0000-0000-0000-000000000001', '2026-01-01 00:00:00+00:00', 0)");
    }

    [Fact]
    public async Task An_upgrade_that_was_killed_goes_on_at_the_next_start_and_a_copy_is_kept()
    {
        Older();
        Ask(Store, "CREATE TABLE IF NOT EXISTS __EFMigrationsLock (Id INTEGER NOT NULL CONSTRAINT PK PRIMARY KEY, Timestamp TEXT NOT NULL)");
        Ask(Store, "INSERT INTO __EFMigrationsLock VALUES(1, '2026-11-27 00:00:00+00:00')");
        var said = new List<string>();
        await Task.Run(() => StoreFile.Prepare(Store, said.Add, Now)).WaitAsync(TimeSpan.FromSeconds(30)); // not for a lock that nobody holds
        said.ShouldHaveSingleItem().ShouldContain("brought up to date");
        var copy = Directory.GetFiles(_folder, "vanto.db.before-upgrade-*").ShouldHaveSingleItem();
        said[0].ShouldContain(copy);
        Ask(copy, "SELECT count(*) FROM Rigs").ShouldBe(1L);
        Ask(Store, "SELECT count(*) FROM Attachments").ShouldBe(0L);
        Ask(Store, "SELECT count(*) FROM Rigs").ShouldBe(1L);
    }

    [Fact]
    public async Task Designs_of_an_earlier_version_are_brought_up_once_and_a_copy_is_kept()
    {
        StoreFile.Prepare(Store);
        Ask(Store, "INSERT INTO Rigs(Id, CreatedAt, Position) VALUES('00000000-0000-0000-0000-000000000001', '2026-01-01 00:00:00+00:00', 0)");
        const string plugged = """{"version":1,"survey":{"sources":{"shore":{"fitted":true}}}}""";
        foreach (var (number, design) in new[] { (1, plugged), (2, plugged.Replace("true", "false")), (3, "not a design"),
            (4, """{"Version":1,"version":1,"survey":{"a":1,"A":2}}""") })
            Ask(Store, $"""
                INSERT INTO Revisions(RigId, Number, At, Design, Paths, Client, Label)
                VALUES('00000000-0000-0000-0000-000000000001', {number}, '2026-01-01 00:00:00+00:00', '{design}', '', '', '')
                """);
        Ask(Store, "PRAGMA user_version = 0");
        var said = new List<string>();
        await Task.Run(() => StoreFile.Prepare(Store, said.Add, Now));
        var copy = Directory.GetFiles(_folder, "vanto.db.before-upgrade-*").ShouldHaveSingleItem();
        said.ShouldHaveSingleItem().ShouldContain(copy);
        Ask(copy, "SELECT json_extract(Design, '$.version') FROM Revisions WHERE Number = 1").ShouldBe(1L);
        Ask(Store, "SELECT json_extract(Design, '$.survey.sources.shore.pluggedIn') FROM Revisions WHERE Number = 1").ShouldBe(1L);
        Ask(Store, "SELECT json_extract(Design, '$.survey.sources.shore.pluggedIn') FROM Revisions WHERE Number = 2").ShouldBe(0L);
        Ask(Store, "SELECT Design FROM Revisions WHERE Number = 3").ShouldBe("not a design");
        Ask(Store, "SELECT json_extract(Design, '$.Version') FROM Revisions WHERE Number = 4").ShouldBe(1L, "what is said twice is not guessed at");
        StoreFile.Prepare(Store, said.Add, Now);
        said.Count.ShouldBe(1, "once");
        Ask(Store, "PRAGMA user_version = 9");
        Should.Throw<StoreException>(() => StoreFile.Prepare(Store)).Message.ShouldContain("newer Vanto");
    }

    [Fact]
    public void A_first_start_that_was_killed_leaves_nothing_that_stops_the_next()
    {
        File.WriteAllText(Store + ".new", "half a store");
        StoreFile.Prepare(Store);
        Ask(Store, "SELECT count(*) FROM Rigs").ShouldBe(0L);
        File.Exists(Store + ".new").ShouldBeFalse();
    }

    [Fact]
    public void A_store_of_a_newer_Vanto_is_refused_with_both_versions_by_start_and_restore()
    {
        StoreFile.Prepare(Store);
        var backup = Beside("newer");
        StoreFile.Backup(Store, backup);
        Ask(backup, "INSERT INTO __EFMigrationsHistory VALUES('20991231235959_Later', '99.0.0')");
        var before = File.ReadAllBytes(backup);
        foreach (var refused in new Action[] { () => StoreFile.Prepare(backup), () => StoreFile.Restore(backup, Store, Now) })
        {
            var words = Should.Throw<StoreException>(refused).Message;
            words.ShouldContain("20991231235959_Later");
            words.ShouldContain("_Stamps");
        }
        File.ReadAllBytes(backup).ShouldBe(before, "it was not touched");
    }

    [Fact]
    public void What_is_restored_goes_on_as_another_laptop()
    {
        StoreFile.Prepare(Store);
        var first = LaptopClock.Of(Store, TimeProvider.System).Device;
        LaptopClock.Of(Store, TimeProvider.System).Device.ShouldBe(first, "it stays the same");
        var backup = Beside("copy");
        StoreFile.Backup(Store, backup);
        StoreFile.Restore(backup, Store, Now);
        LaptopClock.Of(Store, TimeProvider.System).Device.ShouldNotBe(first);
        File.WriteAllText(LaptopClock.FileOf(Store), "x");
        LaptopClock.Of(Store, TimeProvider.System).Device.Length.ShouldBe(16, "a damaged number is made anew");
    }

    [Fact]
    public void A_restore_that_fails_leaves_the_store_as_it_was()
    {
        Older();
        StoreFile.Prepare(Store, null, Now);
        var truncated = Beside("truncated");
        StoreFile.Backup(Store, Beside("whole"));
        File.WriteAllBytes(truncated, File.ReadAllBytes(Beside("whole"))[..8192]);
        var flipped = Beside("flipped");
        var bytes = File.ReadAllBytes(Beside("whole"));
        for (var i = 4096; i < 4160; i++)
            bytes[i] ^= 0xff;
        File.WriteAllBytes(flipped, bytes);
        foreach (var damaged in new[] { truncated, flipped })
            Should.Throw<IOException>(() => StoreFile.Restore(damaged, Store, Now));
        Ask(Store, "SELECT count(*) FROM Rigs").ShouldBe(1L);
        Directory.GetFiles(_folder, "*.part").ShouldBeEmpty();
    }

    [Fact]
    public void A_restore_brings_an_old_backup_up_to_date_and_keeps_what_was_there()
    {
        Older();
        var old = Beside("old");
        StoreFile.Backup(Store, old);
        StoreFile.Prepare(Store, null, Now);
        Ask(Store, "DELETE FROM Rigs");
        var kept = StoreFile.Restore(old, Store, Now)!;
        Ask(Store, "SELECT count(*) FROM Rigs").ShouldBe(1L);
        Ask(Store, "SELECT count(*) FROM Attachments").ShouldBe(0L);
        Ask(kept, "SELECT count(*) FROM Rigs").ShouldBe(0L);
        StoreFile.Restore(old, Store, Now).ShouldNotBe(kept, "a copy is never overwritten");
    }

    [Fact]
    public async Task A_running_server_refuses_a_restore_and_a_second_server()
    {
        var backup = Beside("copy");
        using (var server = await ServerProcess.Start(Store))
        {
            StoreCommands.Backup(Store, backup).ShouldBe(0);
            StoreCommands.Restore(Store, backup).ShouldBe(1);
            var second = await Should.ThrowAsync<InvalidOperationException>(() => ServerProcess.Start(Store));
            second.Message.ShouldContain("in use by another Vanto");
            second.Message.ShouldNotContain("   at ");
            await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Kept", kind = "van" }), System.Net.HttpStatusCode.Created);
        }
        using var again = await ServerProcess.Start(Store);
        (await Read(await again.Http.GetAsync("/api/rigs"))).AsArray().Count.ShouldBe(1, "what was acknowledged is there");
    }

    [Theory]
    [InlineData("text", "no store")]
    [InlineData("foreign", "another program")]
    [InlineData("folder", "folder")]
    public async Task What_is_no_store_is_refused_in_a_sentence_and_not_touched(string kind, string words)
    {
        switch (kind)
        {
            case "text":
                File.WriteAllText(Store, new string('x', 9000));
                break;
            case "foreign":
                Ask(Store, "CREATE TABLE Contacts(Name TEXT)");
                break;
            default:
                Directory.CreateDirectory(Store);
                break;
        }
        var before = kind == "folder" ? [] : File.ReadAllBytes(Store);
        var refused = await Should.ThrowAsync<InvalidOperationException>(() => ServerProcess.Start(Store));
        refused.Message.ShouldContain(kind == "text" ? "cannot be opened as a Vanto store" : words);
        refused.Message.ShouldNotContain("   at ");
        if (kind != "folder")
            File.ReadAllBytes(Store).ShouldBe(before);
    }

    [Fact]
    public async Task Settings_from_outside_open_no_second_socket_and_without_a_name_the_store_is_the_persons_own()
    {
        using var probe = new System.Net.Sockets.TcpListener(System.Net.IPAddress.Loopback, 0);
        probe.Start();
        var port = ((System.Net.IPEndPoint)probe.LocalEndpoint).Port;
        probe.Stop();
        var environment = new Dictionary<string, string>
        {
            ["Kestrel__Endpoints__X__Url"] = $"http://0.0.0.0:{port}",
            ["ASPNETCORE_URLS"] = $"http://0.0.0.0:{port}",
            ["HOME"] = _folder,
            ["XDG_DATA_HOME"] = ""
        };
        using var server = await ServerProcess.Started([], null, environment);
        await Read(await server.Http.GetAsync("/api/rigs"));
        using var other = new System.Net.Sockets.TcpClient();
        await Should.ThrowAsync<System.Net.Sockets.SocketException>(() => other.ConnectAsync("127.0.0.1", port));
        File.Exists(Path.Combine(_folder, ".local", "share", "vanto", "vanto.db")).ShouldBeTrue("not beside the program, where the next build deletes it");
    }

    [Fact]
    public void A_store_may_have_any_name()
    {
        var odd = Path.Combine(_folder, "a;Cache=Shared", "my store.db");
        StoreFile.Prepare(odd);
        StoreFile.Prepare(odd);
        StoreFile.Backup(odd, Beside("odd copy"));
        StoreFile.IsEmpty(odd).ShouldBeTrue();
    }

    [Fact]
    public async Task A_demo_killed_while_it_is_filled_has_all_its_rigs_after_the_next_start()
    {
        for (var kill = 0; kill < 4; kill++)
        {
            var process = Process.Start(new ProcessStartInfo("dotnet", [typeof(Server).Assembly.Location, "--demo", "--store", Store, "--port", "5999"])
            {
                RedirectStandardOutput = true,
                RedirectStandardError = true
            })!;
            await Task.WhenAny(process.WaitForExitAsync(), Task.Delay(700 + 150 * kill));
            process.Kill();
            await process.WaitForExitAsync();
        }
        using var server = await ServerProcess.Start(Store, null, "--demo");
        (await Read(await server.Http.GetAsync("/api/rigs"))).AsArray().Count.ShouldBe(5);
    }

    [Fact]
    public async Task A_full_disk_is_said_in_a_sentence_and_nothing_is_lost()
    {
        using var server = new RunningServerOn(Store);
        await server.Start();
        var rig = await Read(await server.Http.PostAsJsonAsync("/api/rigs", new { name = "Full", kind = "van" }), System.Net.HttpStatusCode.Created);
        Ask(Store, "CREATE TRIGGER full BEFORE INSERT ON Revisions BEGIN SELECT RAISE(ABORT, 'full'); END");
        var refused = await Read(await server.Http.PatchAsJsonAsync($"/api/rigs/{rig.Id()}",
            new { baseRevision = 1, changes = new[] { new { path = "/survey/space/widthM", text = "2" } } }), System.Net.HttpStatusCode.ServiceUnavailable);
        refused.Text("/detail").ShouldContain("Nothing was changed");
        Ask(Store, "DROP TRIGGER full");
        (await Read(await server.Http.GetAsync($"/api/rigs/{rig.Id()}"))).Revision().ShouldBe(1);
    }

    [Fact]
    public async Task A_clock_set_back_swallows_no_line_of_the_history()
    {
        StoreFile.Prepare(Store);
        await using var store = new VantoStore(StoreFile.Options(Store));
        var log = new RigLog(store);
        RevisionDraft At(double seconds) => new("{}", ["/name"], "tab", "", Now.AddSeconds(seconds));
        var rig = await log.Create(At(0) with { Label = "begun" });
        await log.Append(rig.Id, 1, At(100));
        await log.Append(rig.Id, 2, At(40));
        await log.Append(rig.Id, 3, At(41));
        (await log.History(rig.Id)).Select(h => h.Number).ShouldBe([4, 2, 1], "one second on is the same burst; a minute back is not");
    }

    [Fact]
    public async Task Records_are_stamped_in_their_order_and_a_clock_far_ahead_moves_none()
    {
        StoreFile.Prepare(Store);
        await using var store = new VantoStore(StoreFile.Options(Store));
        var clock = new SetClock(Now);
        var log = new RigLog(store, new LaptopClock("00000000000000aa", clock));
        var rig = (await log.Create(new RevisionDraft("{}", [], "", "begun", Now))).Id;
        var order = 0;
        RecordRow New(EventStamp? stamp = null) => new()
        {
            Id = Guid.CreateVersion7(),
            RigId = rig,
            Order = ++order,
            At = Now,
            By = "Wren",
            Kind = "vacuum",
            Body = "{}",
            Stamp = stamp
        };
        await log.Add([New(), New()]);
        clock.Now = Now.AddMinutes(-5);
        await log.Add(New());
        var far = New(new EventStamp(new HybridTime(Now.AddHours(48).ToUnixTimeMilliseconds(), 0), "00000000000000bb", 1));
        await log.Merge(rig, [far], [.. (await log.Records(rig)).Select(r => r.Id), far.Id]);
        clock.Now = Now.AddMinutes(1);
        await log.Add(New());
        var own = (await log.Records(rig)).Where(r => r.Device == "00000000000000aa").Select(r => r.Stamp!).ToList();
        var at = Now.ToUnixTimeMilliseconds();
        own.Select(s => (s.Time.Ms - at, s.Time.Count, s.Seq)).ShouldBe([(0, 0, 1), (0, 1, 2), (0, 2, 3), (60000, 0, 4)]);
    }

    [Fact]
    public async Task Old_edits_go_named_steps_and_files_in_use_stay()
    {
        StoreFile.Prepare(Store);
        await using var store = new VantoStore(StoreFile.Options(Store));
        var log = new RigLog(store);
        var (kept, dropped) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        var rig = await log.Create(new RevisionDraft("{}", [], "", "begun", Now));
        AttachmentRow File(Guid id) => new() { Id = id, RigId = rig.Id, At = Now, Name = "w.epw", Content = [1, 2, 3] };
        var number = await log.Append(rig.Id, 1, new RevisionDraft($"{{\"file\":\"{dropped}\"}}", ["/file"], "tab", "", Now.AddHours(1)), File(dropped));
        number = await log.Append(rig.Id, number, new RevisionDraft($"{{\"file\":\"{kept}\"}}", ["/file"], "tab", "weather read", Now.AddHours(2)), File(kept));
        for (var i = 0; number < RigLog.KeptRevisions + 60; i++)
            number = await log.Append(rig.Id, number, new RevisionDraft("{}", ["/name"], "tab", "", Now.AddHours(3 + i)));
        (await log.Attachment(rig.Id, kept)).ShouldNotBeNull("a named step still names it");
        (await log.Attachment(rig.Id, dropped)).ShouldBeNull();
        (await log.Find(rig.Id, 1)).ShouldNotBeNull();
        (await log.Find(rig.Id, 3)).ShouldNotBeNull();
        (await log.Find(rig.Id, 2)).ShouldBeNull();
    }
}

/// <summary>The server in this process on a store that the test keeps.</summary>
internal sealed class RunningServerOn(string store) : IDisposable
{
    private Microsoft.AspNetCore.Builder.WebApplication? _app;

    public HttpClient Http { get; private set; } = new();

    public async Task Start()
    {
        StoreFile.Prepare(store);
        _app = Server.Build(new Microsoft.AspNetCore.Builder.WebApplicationOptions(), store, 0);
        await _app.StartAsync();
        Http = new HttpClient { BaseAddress = new Uri(_app.Urls.First()) };
    }

    public void Dispose()
    {
        Http.Dispose();
        _app?.DisposeAsync().AsTask().Wait();
    }
}
