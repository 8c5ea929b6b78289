using Vanto.Core.Findings;

namespace Vanto.Core.Physics;

/// <summary>Torque with a crowfoot.</summary>
public static class Crowfoot
{
    /// <summary>Wrench setting in N·m: the crowfoot lengthens the wrench.</summary>
    public static double Setting(double wantedNm, double leverM, double crowfootM, double angleDeg)
    {
        var reach = leverM + crowfootM * Math.Cos(double.DegreesToRadians(angleDeg));
        if (reach <= 0)
            throw new InputException("crowfootM", Phrase.Of($"{crowfootM:SmallLength}"), Phrase.Of($"the crowfoot folds back past the wrench's grip"));
        return wantedNm * leverM / reach;
    }
}
