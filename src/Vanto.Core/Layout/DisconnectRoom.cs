namespace Vanto.Core.Layout;

/// <summary>Room to work in front of the outdoor unit's disconnect; NEC 110.26 and 440.14, from memory.</summary>
/// <param name="Behind">Something stands right before it.</param>
/// <param name="FreeM">Free width of the wall round it, its own counted, m.</param>
public sealed record DisconnectRoom(bool Behind, double FreeM)
{
    /// <summary>Width of the space a person works in, m.</summary>
    public const double WideM = 0.762;

    /// <summary>Its depth from the wall, m.</summary>
    public const double DeepM = 0.914;

    /// <summary>Highest that its handle may be, m.</summary>
    public const double HandleM = 2.007;

    /// <summary>Furthest from the unit, and to be seen from there, m.</summary>
    public const double AwayM = 15.24;

    /// <summary>Of a box on a wall.</summary>
    /// <param name="at">Middle of the box along the wall.</param>
    /// <param name="wide">Its width.</param>
    /// <param name="wallM">Where the wall ends; it begins at 0.</param>
    /// <param name="blocked">Pieces of the wall that something stands before, nearer than the depth of the space.</param>
    public static DisconnectRoom Of(double at, double wide, double wallM, IReadOnlyList<(double From, double To)> blocked)
    {
        var (left, right) = (at - wide / 2, at + wide / 2);
        if (blocked.Any(b => b.From < right - 1e-9 && b.To > left + 1e-9))
            return new DisconnectRoom(true, 0);
        var from = blocked.Where(b => b.To <= left + 1e-9).Select(b => b.To).Append(0).Max();
        var to = blocked.Where(b => b.From >= right - 1e-9).Select(b => b.From).Append(Math.Max(wallM, right)).Min();
        return new DisconnectRoom(false, Math.Max(0, left - Math.Min(from, left)) + wide + Math.Max(0, to - right));
    }
}
