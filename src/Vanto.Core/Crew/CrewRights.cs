using Vanto.Core.Quantities;

namespace Vanto.Core.Crew;

/// <summary>Who somebody is on the crew's network.</summary>
public enum CrewRole { [Called("owner")] Owner, [Called("fitter")] Fitter, [Called("helper")] Helper, [Called("viewer")] Viewer }

/// <summary>What may be done.</summary>
public enum CrewRight
{
    [Called("read")] Read, [Called("write down work, photographs and readings")] Record, [Called("change a design")] Design, [Called("change prices")] Prices,
    [Called("pass over a gate")] PassOver, [Called("end alone what takes a licence")] EndLicensed, [Called("correct what others wrote down")] CorrectOthers,
    [Called("remove a rig")] Purge, [Called("share and let devices in")] Share,
}

/// <summary>Which role may what; the product's own choice.</summary>
public static class CrewRights
{
    /// <summary>All that a role may.</summary>
    public static IReadOnlyList<CrewRight> Of(CrewRole role) => [.. Enum.GetValues<CrewRight>().Where(r => May(role, r))];

    public static bool May(CrewRole role, CrewRight right) => role switch
    {
        CrewRole.Owner => true,
        CrewRole.Fitter => right is CrewRight.Read or CrewRight.Record or CrewRight.Design or CrewRight.PassOver or CrewRight.EndLicensed,
        CrewRole.Helper => right is CrewRight.Read or CrewRight.Record,
        _ => right is CrewRight.Read,
    };
}
