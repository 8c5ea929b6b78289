using System.Text;
using MQTTnet;
using MQTTnet.Protocol;
using Vanto.Core.Crew;
using Vanto.Core.Instruments;
using Vanto.Instruments;
using Vanto.Web.Crew;
using Vanto.Web.Instruments;

namespace Vanto.Web.Tests.Instruments;

/// <summary>Who may send, to which rig, and for how long.</summary>
public class BrokerTests
{
    private static readonly Guid Mine = Guid.NewGuid(), Other = Guid.NewGuid();

    private static CrewDevice Device(CrewRole role, Guid? rig = null) =>
        new(Guid.NewGuid(), "logger", role, "", DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch, rig);

    [Fact]
    public void A_device_of_the_crew_sends_where_it_may_record_and_nowhere_else()
    {
        InstrumentDesk.Joined(null).ShouldBeNull();
        InstrumentDesk.Joined(Device(CrewRole.Viewer)).ShouldBeNull();
        InstrumentDesk.Joined(Device(CrewRole.Fitter)).ShouldBe(new InstrumentPass(null));
        InstrumentDesk.Joined(Device(CrewRole.Helper, Mine)).ShouldBe(new InstrumentPass(Mine));
    }

    private static async Task<MqttClientPublishReasonCode> Send(IMqttClient client, Guid rig, long seq) =>
        (await client.PublishAsync(new MqttApplicationMessageBuilder()
            .WithTopic(InstrumentMessage.Topic(rig.ToString("N"), "vac-1", InstrumentQuantity.AbsolutePressure))
            .WithPayload(InstrumentMessage.Write("x", new InstrumentReading("vac-1", InstrumentQuantity.AbsolutePressure, 50, DateTimeOffset.UnixEpoch, seq,
                ReadingQuality.Good))).WithQualityOfServiceLevel(MqttQualityOfServiceLevel.AtLeastOnce).Build())).ReasonCode;

    private static MqttClientOptions With(int port, string password) => new MqttClientOptionsBuilder().WithTcpServer("127.0.0.1", port)
        .WithProtocolVersion(MQTTnet.Formatter.MqttProtocolVersion.V500).WithCredentials("logger", Encoding.UTF8.GetBytes(password)).Build();

    [Fact]
    public async Task Who_is_sent_away_is_heard_no_longer_and_one_rig_is_one_rig()
    {
        var joined = true;
        var kept = new List<Guid>();
        await using var broker = new InstrumentBroker(c => joined && c.Password == "token" ? new InstrumentPass(Mine) : null, (rig, _) =>
        {
            kept.Add(rig);
            return Task.FromResult(true);
        }, TimeProvider.System);
        await broker.Open(wide: false, wanted: 0);
        using var stranger = new MqttClientFactory().CreateMqttClient();
        var answer = await Should.ThrowAsync<Exception>(async () =>
        {
            var told = await stranger.ConnectAsync(With(broker.Port, "guess"));
            if (told.ResultCode != MqttClientConnectResultCode.Success)
                throw new InvalidOperationException($"{told.ResultCode}");
        });
        answer.Message.ShouldContain("NotAuthorized");
        using var client = new MqttClientFactory().CreateMqttClient();
        await client.ConnectAsync(With(broker.Port, "token"));
        (await Send(client, Mine, 1)).ShouldBe(MqttClientPublishReasonCode.Success);
        (await Send(client, Other, 2)).ShouldBe(MqttClientPublishReasonCode.NotAuthorized);
        joined = false;
        try
        {
            (await Send(client, Mine, 3)).ShouldNotBe(MqttClientPublishReasonCode.Success);
        }
        catch (MQTTnet.Exceptions.MqttCommunicationException)
        {
            // Its connection was cut.
        }
        kept.ShouldBe([Mine]);
        broker.Refused.Keys.ShouldContain("no longer let in");
    }
}
