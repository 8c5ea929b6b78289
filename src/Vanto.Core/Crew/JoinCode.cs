using Vanto.Core.Quantities;

namespace Vanto.Core.Crew;

/// <summary>What became of a code that was typed.</summary>
public enum JoinVerdict
{
    [Called("joined")] Joined, [Called("that is not the code")] Wrong, [Called("this code is over: ask for a new one")] Over,
}

/// <summary>Six digits that let one device in, once, for a few minutes. Chance of guessing: tries in a million.</summary>
/// <param name="Digits">The code.</param>
/// <param name="Role">Who comes in with it.</param>
/// <param name="Made">When.</param>
public sealed record JoinCode(string Digits, CrewRole Role, DateTimeOffset Made)
{
    public const int Length = 6;
    public const int Tries = 5;

    /// <summary>So long it may be used; the product's own choice.</summary>
    public static readonly TimeSpan Lasts = TimeSpan.FromMinutes(5);

    /// <summary>The one rig that is shown to who comes in; null is all.</summary>
    public Guid? Rig { get; init; }

    /// <summary>Wrong tries so far.</summary>
    public int Missed { get; init; }

    /// <summary>A device has come in with it.</summary>
    public bool Used { get; init; }

    /// <summary>There are so many.</summary>
    public const int Codes = 1_000_000;

    /// <summary>The one of a number that was drawn.</summary>
    /// <param name="drawn">0 to <see cref="Codes"/>, by chance that nobody can foresee.</param>
    /// <param name="role">Who comes in with it.</param>
    /// <param name="now">It begins.</param>
    public static JoinCode Of(int drawn, CrewRole role, DateTimeOffset now) =>
        new(drawn.ToString($"D{Length}", System.Globalization.CultureInfo.InvariantCulture), role, now);

    /// <summary>It may still be used.</summary>
    public bool Stands(DateTimeOffset now) => !Used && Missed < Tries && now - Made < Lasts && now >= Made;

    /// <summary>Judges what was typed, in a time that does not tell how much of it is right.</summary>
    public (JoinVerdict Verdict, JoinCode After) Judge(string typed, DateTimeOffset now)
    {
        if (!Stands(now))
            return (JoinVerdict.Over, this);
        var differs = typed.Length ^ Digits.Length;
        for (var i = 0; i < Digits.Length; i++)
            differs |= Digits[i] ^ (i < typed.Length ? typed[i] : 0);
        return differs == 0 ? (JoinVerdict.Joined, this with { Used = true }) : (JoinVerdict.Wrong, this with { Missed = Missed + 1 });
    }
}
