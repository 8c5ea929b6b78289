using Vanto.Browser.Tests.Run;

namespace Vanto.Browser.Tests.Install;

public sealed class InstallTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private static void Say(Screen screen, string name)
    {
        var who = screen.See("[data-by]");
        Screen.Into(who, name);
    }

    private static void Tick(Screen screen)
    {
        while (screen.All("[data-open] button.tick").FirstOrDefault(t => t.Displayed) is { } tick)
        {
            var before = screen.All("[data-open]").Count;
            tick.Click();
            screen.Until(() => screen.All("[data-open]").Count < before, "the tick is set");
        }
    }

    /// <summary>On the phone: the step, what must hold, one button; what is open is shown, not greyed out.</summary>
    [Fact]
    public void A_step_is_led_on_the_phone_from_start_to_done()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Thistle Van", "install/step?step=arrive-park");
        Say(screen, "Wren");
        screen.See("[data-step='arrive-park']");
        screen.Until(() => screen.See("[data-go]").Size.Height >= 72, "the button is big");
        screen.Go(new Uri(screen.Driver.Url).PathAndQuery.Replace("arrive-park", "confirm-design"));
        screen.See("[data-go]", "Start");
        screen.See("[data-go]").Click();
        screen.See("[data-state='running']");
        Tick(screen);
        screen.IsClean();
    }

    /// <summary>The wrench on the nut: which setting, in two taps from the rig.</summary>
    [Fact]
    public void Figures_of_the_design_stand_big_at_their_step()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "install/step?step=joint-tighten%231");
        screen.See("[data-facts]", "N·m");
        screen.See("[data-facts]", "crowfoot");
        screen.Go(new Uri(screen.Driver.Url).PathAndQuery.Replace("joint-tighten", "mark-hole"));
        screen.See("[data-facts]", "hole, from inside");
        screen.Press("Another step is next");
        screen.See("[data-step='confirm-design']");
        screen.Until(() => screen.All("[data-back-to-next]").Count == 0, "the next step itself");
        screen.IsClean();
    }

    /// <summary>Written while the network is away, kept over a reload, sent when it is back.</summary>
    [Fact]
    public void What_is_written_without_a_network_is_kept_and_sent_later()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Seed House 4", "install/step?step=confirm-design");
        Say(screen, "Piet");
        void Network(bool there) => screen.Driver.ExecuteScript($"window.__fetch ??= window.fetch; window.fetch = {(there ? "window.__fetch"
            : "(u, o) => String(u).includes('/install/events') ? Promise.reject(new TypeError('away')) : window.__fetch(u, o)")}");
        Network(false);
        screen.See("[data-go]").Click();
        screen.See("[data-unsent]", "1 not sent");
        screen.See("[data-state='running']");
        screen.Driver.Navigate().Refresh();
        screen.See("[data-step='confirm-design']");
        screen.Until(() => screen.All("[data-unsent]").Count == 0, "sent when the page is open again");
        screen.See("[data-state='running']");
        screen.Leaf("log");
        screen.See(".see", "begun");
        screen.IsClean();
    }

    /// <summary>One entry that may not be taken keeps no other back, and an answer that judges nothing lets go of nothing.</summary>
    [Fact]
    public void What_is_refused_is_set_aside_and_the_rest_is_sent()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Thistle Van", "install/step?step=confirm-design");
        Say(screen, "Piet");
        screen.See("[data-go]");
        void Answers(int status, string to) => screen.Driver.ExecuteScript($$"""
            window.__fetch ??= window.fetch;
            window.fetch = (u, o) => String(u).includes('/install/events') && String(o.body).includes('{{to}}')
              ? Promise.resolve(new Response(JSON.stringify({ status: {{status}}, detail: 'said so' }),
                  { status: {{status}}, headers: { 'content-type': 'application/problem+json' } }))
              : window.__fetch(u, o);
            """);
        void Notes(string words)
        {
            screen.Press("note", ".side");
            Screen.Into(screen.See(".side form input"), words);
            screen.Press("write it down", ".side");
        }

        Answers(502, "events");
        Notes("the first note");
        screen.See("[data-unsent]", "1 not sent");
        Notes("the other note");
        screen.See("[data-unsent]", "2 not sent");
        Answers(403, "other note");
        screen.See("[data-aside]", "said so");
        screen.Until(() => screen.All("[data-unsent]").Count == 0, "the rest is sent");
        Answers(403, "nothing of the kind");
        screen.Press("try again", "[data-aside]");
        screen.Until(() => screen.All("[data-aside]").Count == 0, "taken at last");
        screen.Leaf("log");
        screen.See(".see", "the first note");
        screen.See(".see", "the other note");
    }

    /// <summary>Without a network one step leads to the next: nothing of the work leans on the server.</summary>
    [Fact]
    public void Without_a_network_one_step_leads_to_the_next()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Thistle Van", "install/step");
        Say(screen, "Ottoline");
        screen.See("[data-go]");
        screen.Driver.ExecuteScript("window.fetch = () => Promise.reject(new TypeError('away'))");
        var been = new HashSet<string>();
        while (been.Count < 3)
        {
            var step = screen.See("[data-step]").GetDomAttribute("data-step")!;
            been.Add(step).ShouldBeTrue($"{step} comes again");
            screen.See("[data-go]").Click();
            screen.See("[data-state='running']");
            Tick(screen);
            screen.All("[data-open] input[data-field]").ShouldBeEmpty("these first steps ask no reading");
            screen.See("[data-go]").Click();
            screen.Until(() => screen.See("[data-step]").GetDomAttribute("data-step") != step, "the next step");
        }
        screen.See("[data-unsent]", "not sent");
    }

    /// <summary>A picture is kept, sent and shown at its step.</summary>
    [Fact]
    public void A_photograph_stands_at_its_step()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("vanto-browser-").FullName, "joint.png");
        File.WriteAllBytes(file, Convert.FromBase64String("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg=="));
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Gannet's Rest", "install/step?step=hole-drill%231");
        Say(screen, "Ottoline");
        screen.Give(".side", file);
        screen.Until(() => screen.All("[data-photos] img").Any(i => i.GetDomProperty("naturalWidth") is "1"), "the picture is shown from the server");
        screen.IsClean();
    }

    /// <summary>Where somebody asks for it the whole picture is kept beside the smaller one and opened from it.</summary>
    [Fact]
    public void A_whole_picture_is_kept_on_request()
    {
        const int wide = 2600, high = 2;
        var file = Path.Combine(Directory.CreateTempSubdirectory("vanto-browser-").FullName, "terminals.bmp");
        using (var writer = new BinaryWriter(File.Create(file)))
        {
            const int pixels = wide * 3 * high, begins = 54;
            writer.Write("BM"u8);
            foreach (var word in new[] { begins + pixels, 0, begins, 40, wide, high, 1 | 24 << 16, 0, pixels, 0, 0, 0, 0 })
                writer.Write(word);
            writer.Write(new byte[pixels]);
        }
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Gannet's Rest", "install/step?step=head-hang%231");
        screen.See("[data-whole]").Click();
        Say(screen, "Ottoline");
        screen.Give(".side", file);
        screen.Until(() => screen.All("[data-photos] img").Any(i => i.GetDomProperty("naturalWidth") is "2048"), "the smaller one is shown");
        screen.Until(() => screen.Driver.ExecuteAsyncScript("""
            const done = arguments[0], picture = new Image();
            picture.onload = () => done(picture.naturalWidth);
            picture.onerror = () => done(0);
            picture.src = document.querySelector('[data-photos] a').href;
            """) is (long)wide, "the whole one opens from it");
        screen.IsClean();
    }

    /// <summary>A reading in the unit of the instrument in the hand is kept in the gate's own.</summary>
    [Fact]
    public void A_reading_is_typed_in_another_unit()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Gannet's Rest", "install/step?step=n2-steps");
        Say(screen, "Piet");
        Screen.Into(screen.See("[data-field='unit-limit']"), "550");
        screen.Press("psi", ".units");
        screen.See(".units", "= 3.792 MPa");
        screen.Press("write down", ".value");
        screen.See(".gate", "550 psi");
        screen.IsAccessible();
        screen.IsClean();
    }

    /// <summary>Phone and laptop read the same thing differently: both are kept, and it is said.</summary>
    [Fact]
    public void Two_readings_of_one_thing_are_told()
    {
        using var phone = new Screen(demo.Server.Address, 390, 844);
        using var laptop = new Screen(demo.Server.Address);
        void Reads(Screen screen, string who, string value)
        {
            screen.OpenRig("Seed House 4", "install/step?step=n2-steps");
            Say(screen, who);
            Screen.Into(screen.See("[data-field='unit-limit']"), value);
            screen.Press("write down", ".value");
            screen.See(".gate", value);
            screen.Until(() => screen.All("[data-unsent]").Count == 0, "it is sent");
        }

        Reads(phone, "Wren", "2.1");
        laptop.OpenRig("Seed House 4", "install/log");
        laptop.See(".see", "2.1 MPa");
        laptop.Leaf("step");
        laptop.Go(new Uri(laptop.Driver.Url).AbsolutePath + "?step=n2-steps");
        Say(laptop, "Piet");
        Screen.Into(laptop.See("[data-field='unit-limit']"), "3.4");
        laptop.Press("read again", ".value");
        laptop.Leaf("log");
        laptop.AllFindings();
        laptop.See(".see", "on two devices");
        laptop.See(".see", "3.4 MPa");
        laptop.See(".see", "2.1 MPa");
        laptop.IsClean();
    }

    /// <summary>The server dies in the middle of a step: the phone goes on, and brings what it wrote when the server is back.</summary>
    [Fact]
    public void A_step_goes_on_while_the_server_is_dead_and_is_whole_when_it_is_back()
    {
        using var server = new VantoServer(demo: true);
        using var phone = new Screen(server.Address, 390, 844);
        phone.OpenRig("Marigold", "install/step?step=confirm-design");
        Say(phone, "Wren");
        phone.See("[data-go]").Click();
        phone.See("[data-state='running']");
        phone.Until(() => phone.All("[data-unsent]").Count == 0, "it is sent");
        server.Kill();
        Tick(phone);
        phone.See("[data-unsent]", "not sent");
        server.Start();
        phone.Until(() => phone.All("[data-unsent]").Count == 0, "sent when the server is back");
        phone.Driver.Navigate().Refresh();
        phone.See("[data-step='confirm-design'][data-state='running']");
        phone.Until(() => phone.All("[data-open] button.tick").Count == 0, "what was ticked stays ticked");
        phone.Leaf("log");
        phone.See(".see", "Law on electrical");
    }

    /// <summary>A gate is passed over by holding the button, with a reason; a tap does nothing.</summary>
    [Fact]
    public void A_gate_is_passed_over_by_holding()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "install/step?step=hoses-on");
        Say(screen, "Piet");
        screen.See("[data-open] .bare.small").Click();
        Screen.Into(screen.See(".over input"), "the box came without its paper");
        screen.Driver.ExecuteScript("document.querySelector('[data-pass-over]').scrollIntoView({ block: 'center' })");
        screen.See("[data-pass-over]").Click();
        screen.All(".over").Count.ShouldBe(1, "a tap is no hold");
        new OpenQA.Selenium.Interactions.Actions(screen.Driver).ClickAndHold(screen.See("[data-pass-over]")).Pause(TimeSpan.FromSeconds(1.2)).Release()
            .Perform();
        screen.See(".gate", "passed over with a reason");
        screen.IsClean();
    }

    /// <summary>Opened from the list, begun by a slip, taken back: open again, and the log keeps both.</summary>
    [Fact]
    public void A_slip_is_taken_back_and_stays_in_the_log()
    {
        using var screen = new Screen(demo.Server.Address, 390, 844);
        screen.OpenRig("Marigold", "install/all");
        screen.See("a[href*='step=confirm-design']").Click();
        screen.See("[data-step='confirm-design'][data-state='open']");
        Say(screen, "Wren");
        screen.See("[data-go]").Click();
        screen.See("[data-state='running']");
        screen.See("[data-take-back]", "begun");
        screen.Press("take back", ".side");
        screen.See("[data-step='confirm-design'][data-state='open']");
        screen.Leaf("log");
        screen.See(".see", "begun");
        screen.See(".see", "taken back");
        screen.IsClean();
    }

    [Fact]
    public void All_steps_and_the_log_stand_in_tables()
    {
        using var screen = new Screen(demo.Server.Address);
        screen.OpenRig("Pipit", "install/all");
        screen.See("[data-verdict] .headline", "steps are done");
        screen.See("table", "before the day");
        screen.IsAccessible();
        screen.IsClean();
    }
}
