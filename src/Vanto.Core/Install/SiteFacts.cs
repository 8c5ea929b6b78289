using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Install;

/// <summary>What a step needs from the design, and what every stage needs said.</summary>
public static class SiteFacts
{
    private const double LimitShare = 1e-6;

    /// <summary>Limits that design and plate know, in the unit of the gate.</summary>
    public static IReadOnlyDictionary<string, (double? Min, double? Max)> Limits(PlanSetting s)
    {
        var limits = new Dictionary<string, (double?, double?)>();
        if (s.Sheet.Circuit.ProofPa is { } proof)
            limits["proof-pressure"] = (null, proof * LimitShare);
        if (s.Wired.Battery is { } bank)
            limits["fuse-interrupt"] = (bank.Circuit.ShortA, null);
        if (s.Wired.Pv is { } pv)
            limits["string-voc"] = (null, Math.Round(pv.ColdV));
        if (s.Mounted.Slab is { } slab)
            limits["cure-days"] = (Math.Ceiling(slab.WaitDays), null);
        limits["breaker"] = (null, s.Wired.Branch.MaximumA);
        return limits;
    }

    /// <summary>Figures of the design for a step.</summary>
    internal static IReadOnlyList<SiteFact> Of(string step, PlanSetting s)
    {
        var facts = new List<SiteFact>();
        void Add(string label, Phrase value, Phrase? beside = null) => facts.Add(new SiteFact(label, value, beside ?? Phrase.Empty));
        var wall = s.Placed.Wall;
        switch (step)
        {
            case "mark-hole" or "pilot-hole" or "hole-drill" when wall is not null:
                foreach (var (from, i) in wall.SetOut.Take(2).Select((x, i) => (x, i)))
                    Add(i == 0 ? "hole, from inside" : "or", Phrase.Of($"{Math.Abs(from.RightM):SmallLength} {(from.RightM < 0 ? "left" : "right")}, "
                        + $"{Math.Abs(from.UpM):SmallLength} {(from.UpM < 0 ? "down" : "up")}"),
                        Phrase.Of($"of the {from.Corner}; outside {Math.Abs(from.OutsideRightM):SmallLength} {(from.OutsideRightM < 0 ? "left" : "right")}, "
                            + $"{Math.Abs(from.OutsideUpM):SmallLength} {(from.OutsideUpM < 0 ? "down" : "up")}"));
                Add("across", Phrase.Of($"{wall.HoleM:SmallLength}"), Phrase.Of($"falls {wall.FallDeg:Degrees} outwards"));
                if (wall.Meets.Count > 0)
                    Add("behind it", Phrase.Of($"{wall.Meets[0].Name}"),
                        Phrase.Of($"{wall.Meets[0].ClearM:SmallLength} clear, {wall.Meets[0].NeedM:SmallLength} asked"));
                break;
            case "joint-tighten" or "left-exit-join" or "qc-join":
                foreach (var (pipe, torque, name) in new[] { (s.Sheet.Circuit.LiquidM, s.Sheet.Circuit.LiquidNm, "thin pipe"), (s.Sheet.Circuit.GasM,
                    s.Sheet.Circuit.GasNm, "thick pipe") })
                    if (torque is { } nm)
                        Add(pipe is { } m ? FormattableString.Invariant($"set on the wrench, {name} {m * 1000:0.#} mm") : $"set on the wrench, {name}",
                            Phrase.Of($"{Crowfoot.Setting(nm, WrenchM, CrowfootM, 0):Torque}"),
                            Phrase.Of($"{nm:Torque} at the nut; crowfoot of {CrowfootM:SmallLength} in line on a wrench of {WrenchM:SmallLength}"));
                break;
            case "head-terminals" or "outdoor-terminals":
                foreach (var core in s.Wired.Between.Rows)
                    Add($"terminal {core.Label}", Phrase.Of($"{Calls.Name(step == "head-terminals" ? core.Head : core.Outdoor)}"),
                        Phrase.Of($"{Calls.Name(core.Role)}"));
                break;
            case "supply-connect":
                Add("breaker", Phrase.Of($"{s.Wired.Branch.DeviceA:Current}"), Phrase.Of($"never above {s.Wired.Branch.MaximumA:Current}"));
                if (s.Wired.Branch.Wire is { } wire)
                    Add("wire", Phrase.Of($"{wire.Name}"), Phrase.Of($"carries {wire.AmpacityA ?? 0:Current} here"));
                break;
            case "n2-steps" when s.Sheet.Circuit.ProofPa is { } most:
                Add("at most", Phrase.Of($"{most:GaugePressure}"), Phrase.Of($"of the plate; in three steps"));
                break;
            case "line-cut" or "line-bend" when s.Placed.Ways.Count > 0:
                Add("pipe", Phrase.Of($"{s.Placed.Ways[0].NeedM:Length}"), Phrase.Of($"{s.Placed.Ways[0].Bends:Count} bends"));
                break;
            case "ss-splice" when s.Wired.Starter is { } starter:
                foreach (var row in starter.Map.Where(m => m.To != m.From).Take(6))
                    Add($"{row.No}. {row.Colour}", Phrase.Of($"{row.To}"), Phrase.Of($"from {row.From}"));
                break;
        }
        return facts;
    }

    private const double WrenchM = 0.300;
    private const double CrowfootM = 0.045;

    /// <summary>How a stage is left when it is broken off; common practice.</summary>
    internal static string LeaveSafe(string stage) => stage switch
    {
        "open" => "Sheet over the opening, tools down from the roof or ladder.",
        "mount" => "Nothing stands half bolted: tie it or set it down. Tools down from the roof.",
        "line" or "head" => "Both pipe ends capped.",
        "join" => "Pipe ends capped, nuts finger tight at least.",
        "prove" => "Valve shut before the pump stops; nitrogen off at the bottle.",
        "release" => "Valves shut or open, not between; caps on.",
        "wire" => "The lock stays on, ends covered, the key in the pocket.",
        "start" => "Breaker off and locked if the covers are off.",
        "drain" => "Hose ends open and hanging free.",
        _ => "Tools counted, nothing in the way of people.",
    };

    /// <summary>What frightens and is normal; common practice.</summary>
    internal static string Normal(string step) => step switch
    {
        "flare-make" or "line-cut" => "Normal: a short hiss when a capped pipe is opened, its holding gas. Not normal: no hiss and a loose cap.",
        "qc-join" => "Normal: one short spurt while it turns. Not normal: bubbles after the last turn; seat the lever once more.",
        "vac-run" => "Normal: the pump is loud at first and then dry. Not normal: the needle stands after a minute; look at the second port.",
        "hoses-off" => "Normal: a short hiss. Not normal: it goes on; turn back in.",
        "energise" or "cool-start" => "Normal: up to five silent minutes before the compressor. Not normal: a hum that ends in a click.",
        "n2-steps" => "Normal: the needle sinks a little as the gas cools. Not normal: it goes on sinking at the same pace.",
        "ss-learn" => "Normal: the first starts are as loud as before. Not normal: it trips the third time.",
        _ => "",
    };

    /// <summary>The reason behind a rule, with its number; common practice.</summary>
    internal static string Reason(string step) => step switch
    {
        "vac-isolate" => "Why 10 minutes: moisture shows as a curve that levels, a leak as a line that goes on.",
        "joint-tighten" => "Why so little: 6 mm pipe is spoilt above 18 N·m. The crowfoot adds its length: set the wrench lower.",
        "discharge-capacitor" => "Why wait: a capacitor of 45 µF at 370 V holds 3 J and keeps it for minutes.",
        "pad-strip" => "Why a week: at 20 °C the slab has two thirds of its strength after 7 days.",
        "isolate-prove" => "Why three times: the tester is proved on a live source before and after, else a dead tester reads dead.",
        "hole-drill" => "Why it falls outwards: 3 mm in a wall of 60 mm keep rain and condensate out of the wall.",
        _ => "",
    };
}
