using Vanto.Core.Crew;

namespace Vanto.Web.Crew;

/// <summary>Which right an address of the API asks for. What is not known changes something and asks for most.</summary>
public static class CrewAddresses
{
    /// <summary>True where a device that is shown one rig may ask: that rig, the yard with it alone, and what belongs to no rig.</summary>
    public static bool Of(Guid rig, PathString path) => (path.Value ?? "").Split('/', StringSplitOptions.RemoveEmptyEntries) switch
    {
        ["api", "rigs"] => true,
        ["api", "rigs", var id, ..] => Guid.TryParse(id, out var asked) && asked == rig,
        ["api", "calc" or "crew" or "quantities" or "options", ..] => true,
        _ => false,
    };

    /// <summary>The right that a request needs.</summary>
    public static CrewRight Asks(string method, PathString path)
    {
        var parts = (path.Value ?? "").Split('/', StringSplitOptions.RemoveEmptyEntries);
        if (parts is ["api", "crew" or "exchange", ..])
            return CrewRight.Share;
        if (HttpMethods.IsGet(method) || HttpMethods.IsHead(method) || parts is ["api", "calc", ..] or ["api", "assess"])
            return CrewRight.Read;
        if (HttpMethods.IsDelete(method))
            return CrewRight.Purge;
        return parts switch
        {
            ["api", "rigs", _, "install", "events" or "photos"] or ["api", "rigs", _, "records"] => CrewRight.Record,
            ["api", "rigs", _, "instruments", "broker"] => CrewRight.Share,
            ["api", "rigs", _, "instruments", ..] => CrewRight.Record,
            ["api", "rigs", _, "plan", "prices"] or ["api", "shop", "shelf", "prices" or "tools"] => CrewRight.Prices,
            _ => CrewRight.Design,
        };
    }
}
