using Vanto.Core.Findings;

namespace Vanto.Core.Load;

/// <summary>What there is to say of a roof under its modules and of an attic above the ceiling.</summary>
internal static class SkinFindings
{
    /// <summary>A change of the peak worth telling.</summary>
    private const double WorthTelling = 0.02;

    /// <summary>An attic so warm that more insulation on the ceiling, or more vents, pay first, °C; common practice.</summary>
    private const double HotAtticC = 50;

    public static IEnumerable<Finding> Of(RigDay day, HeldAirLoad held, LoadDay load)
    {
        var space = day.Space;
        if (load.PeakW > 0 && space.Faces.FirstOrDefault(f => f.Modules.Share > 0) is { } roof)
        {
            var bare = held.Solve(space with { Faces = [.. space.Faces.Select(f => f with { Modules = default })] }).PeakW;
            var under = held.Solve(space).PeakW;
            if (Math.Abs(under / bare - 1) > WorthTelling)
                yield return Finding.Of(FindingCode.RoofModules, Severity.Note, under < bare
                    ? Phrase.Of($"The modules shade {roof.Modules.Share:Fraction} of the roof and take {bare - under:Power} off the peak.")
                    : Phrase.Of($"The modules lie over {roof.Modules.Share:Fraction} of a light roof; their warm backs add {under - bare:Power} to the peak."));
        }
        for (var i = 0; i < space.Faces.Count; i++)
        {
            if (space.Faces[i].Attic is null)
                continue;
            var hottest = Enumerable.Range(0, day.Drivers.Steps).Max(k => day.Drivers.At(k)[i]);
            if (hottest > HotAtticC)
                yield return Finding.Of(FindingCode.AtticHot, Severity.Note,
                    $"The attic reaches {hottest:Temperature}: insulation on the ceiling, a light roof or more vents come before a larger unit.");
        }
    }
}
