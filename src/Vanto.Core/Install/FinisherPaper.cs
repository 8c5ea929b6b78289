using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Plan;
using Vanto.Core.Quantities;

namespace Vanto.Core.Install;

/// <summary>"Ready for you": what a licensed finisher from outside the crew finds, what is asked of them, and what comes back. Common practice.</summary>
/// <param name="Facts">What is there, label and figure.</param>
/// <param name="Asked">What they are asked to do, in its order.</param>
/// <param name="Open">Steps before theirs that are not done yet.</param>
/// <param name="Back">What comes back to the job.</param>
public sealed record FinisherPaper(IReadOnlyList<(string Label, Phrase Value)> Facts, IReadOnlyList<string> Asked, IReadOnlyList<string> Open,
    IReadOnlyList<string> Back)
{
    private const double LitresPerM3 = 1000;

    /// <summary>Steps that are theirs, from the hoses to the search for leaks.</summary>
    private static readonly string[] Theirs = ["hoses-on", "qc-join", "n2-steps", "n2-release", "vac-run", "vac-hand", "vac-isolate", "vac-read", "charge-add",
        "valves-open", "hoses-off", "leak-check"];

    /// <summary>Of a job; null where nothing is joined on site.</summary>
    /// <param name="s">The job.</param>
    /// <param name="site">What is done.</param>
    public static FinisherPaper? Of(PlanSetting s, InstallAssessment site)
    {
        if (!s.Split)
            return null;
        var circuit = s.Sheet.Circuit;
        List<(string, Phrase)> facts = [("Unit", Phrase.Of($"{s.Unit.Name}"))];
        void Add(string label, double? value, PhraseHandler words)
        {
            if (value is not null)
                facts.Add((label, Phrase.Of(words)));
        }

        if (circuit.Refrigerant is { } fluid)
            facts.Add(("Refrigerant", Phrase.Of($"{Calls.Name(fluid)}{(s.Burns ? ", which burns: tools and licence for it" : "")}")));
        Add("Charge in it", circuit.ChargeKg, $"{circuit.ChargeKg ?? 0:Mass}");
        Add("Thin pipe, outside", circuit.LiquidM, $"{circuit.LiquidM ?? 0:SmallLength}");
        Add("Thick pipe, outside", circuit.GasM, $"{circuit.GasM ?? 0:SmallLength}");
        facts.Add(("Joints", Phrase.Of($"{TaskNetwork.SplitJoints * s.Zones:Count}, on {Calls.Many(s.Zones, "head")}")));
        if (s.Placed.Ways.Count > 0)
        {
            var way = s.Placed.Ways[0];
            facts.Add(("Way of the pipe", Phrase.Of($"{way.LengthM:Length}, {Calls.Many(way.Bends, "bend")}")));
            if (circuit is { LiquidM: { } thin, GasM: { } thick })
                facts.Add(("Volume of the pipes",
                    Phrase.Of($"{way.LengthM * (CopperTube.VolumeM3m(thin) + CopperTube.VolumeM3m(thick)) * LitresPerM3:Number} L")));
        }
        Add("Proved at most to", circuit.ProofPa, $"{circuit.ProofPa ?? 0:GaugePressure}");
        Add("Nut of the thin pipe", circuit.LiquidNm, $"{circuit.LiquidNm ?? 0:Torque}");
        Add("Nut of the thick pipe", circuit.GasNm, $"{circuit.GasNm ?? 0:Torque}");
        facts.Add(("Power on site for the pump", s.SupplyW is { } watts ? Phrase.Of($"{watts:ElectricPower}") : Phrase.Of($"from the mains of the building")));
        if (s.Design.When.FinisherDay.Length > 0)
            facts.Add(("Booked for", Phrase.Of($"{s.Design.When.FinisherDay}")));
        facts.Add(("Warranty", Phrase.Of($"finished by {Calls.Name(s.Sheet.FinishedBy)}, as its manual was typed")));
        var theirs = site.Steps.Where(x => Theirs.Contains(Bare(x.Id))).ToList();
        var first = theirs.Count == 0 ? site.Steps.Count : site.Steps.ToList().IndexOf(theirs[0]);
        return new FinisherPaper(facts,
            [.. theirs.Select(x => x.Name)],
            [.. site.Steps.Take(first).Where(x => x.Skill == "handler" || Bare(x.Id) is "tie-outdoor" or "head-hang")
                .Where(x => x.State is not (SiteState.Done or SiteState.Skipped)).Select(x => x.Name)],
            [
                "Pressure and how long it was held, with the temperature at both readings",
                "Vacuum reached, and what it rose to with the pump shut off",
                "Charge added, from which cylinder",
                "Where leaks were looked for, and with what",
                "Name, licence number and signature, for the warranty",
            ]);
    }

    private static string Bare(string step) => step.Split('#')[0];
}
