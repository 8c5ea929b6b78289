using System.Net;
using System.Net.Http.Headers;
using Microsoft.Extensions.DependencyInjection;
using Vanto.Documents;
using Vanto.Storage;
using static Vanto.Web.Tests.RunningServer;

namespace Vanto.Web.Tests.Install;

/// <summary>Photographs that are none, or too large to be shown, and those that nobody names.</summary>
public sealed class PhotoLimitTests(RunningServer server) : IClassFixture<RunningServer>
{
    /// <summary>The begin of a JPEG that states its sides: an application segment, then a frame (ITU-T T.81, B.2.2).</summary>
    private static byte[] Jpeg(int width, int height) =>
        [0xFF, 0xD8, 0xFF, 0xE0, 0, 4, 1, 2, 0xFF, 0xC2, 0, 17, 8, (byte)(height >> 8), (byte)height, (byte)(width >> 8), (byte)width, 3, 1, 0x22, 0, 2,
            0x11, 1];

    private async Task<HttpResponseMessage> Send(string rig, byte[] content)
    {
        using var body = new ByteArrayContent(content);
        body.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        return await server.Http.PostAsync($"/api/rigs/{rig}/install/photos", body);
    }

    [Fact]
    public void Sides_are_read_from_the_header()
    {
        JpegHeader.Sides(Jpeg(4000, 3000)).ShouldBe((4000, 3000));
        JpegHeader.Sides([0xFF, 0xD8, 0xFF, 0xDA, 0, 4, 1, 2, 0, 0, 0, 0]).ShouldBeNull();
        JpegHeader.Sides("\xFF\xD8\xFF<script>alert(1)</script>"u8).ShouldBeNull();
        var random = new Random(5);
        for (var n = 0; n < 2000; n++)
        {
            var bytes = new byte[random.Next(40)];
            random.NextBytes(bytes);
            JpegHeader.Sides([0xFF, 0xD8, 0xFF, .. bytes]);
        }
    }

    [Fact]
    public async Task What_is_no_photograph_or_too_large_to_show_is_refused()
    {
        var rig = (await server.Begin("Garganey")).Id();
        (await Send(rig, Jpeg(4000, 3000))).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Read(await Send(rig, Jpeg(65535, 65535)), HttpStatusCode.BadRequest)).Text("/title").ShouldContain("12000 dots a side");
        (await Send(rig, [0xFF, 0xD8, 0xFF, .. "<script>"u8])).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>Over the limit the refusal can be read: the body is heard to its end first.</summary>
    [Fact]
    public async Task A_photograph_over_the_limit_is_refused_in_words()
    {
        var rig = (await server.Begin("Gadwall")).Id();
        var refused = await Send(rig, new byte[20_000_000]);
        (await Read(refused, HttpStatusCode.RequestEntityTooLarge)).Text("/detail").ShouldContain("The limit is 11 MB");
    }

    [Fact]
    public async Task One_that_no_record_names_is_let_go_after_a_week()
    {
        var rig = Guid.Parse((await server.Begin("Shoveler")).Id());
        using var scope = server.Services.CreateScope();
        var log = scope.ServiceProvider.GetRequiredService<RigLog>();
        string[] names = [new('a', 64), new('b', 64)];
        foreach (var (name, days) in names.Zip(new[] { 8, 6 }))
            await log.KeepPhoto(new AttachmentRow { Id = Guid.NewGuid(), RigId = rig, At = DateTimeOffset.UtcNow.AddDays(-days), Name = name, Content = [1] });
        await log.LetGoUnnamed(rig, DateTimeOffset.UtcNow.AddDays(-7));
        (await log.Photo(rig, names[0])).ShouldBeNull();
        (await log.Photo(rig, names[1])).ShouldNotBeNull();
    }
}
