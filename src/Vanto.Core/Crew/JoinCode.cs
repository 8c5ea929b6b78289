using Vanto.Core.Quantities;

namespace Vanto.Core.Crew;

/// <summary>What became of a code that was typed.</summary>
public enum JoinVerdict
{
    [Called("joined")] Joined, [Called("that is not the code")] Wrong, [Called("this code is over: ask for a new one")] Over,
    [Called("too many tries from here: ask for a new code")] Deaf,
}

/// <summary>Six digits that let one device in, once, for a few minutes. Chance of guessing: tries in a million.</summary>
/// <param name="Digits">The code.</param>
/// <param name="Role">Who comes in with it.</param>
/// <param name="Made">When.</param>
public sealed record JoinCode(string Digits, CrewRole Role, DateTimeOffset Made)
{
    public const int Length = 6;

    /// <summary>Wrong tries from one address, after which it is no longer heard; and from all together, after which the code is over: so one who
    /// guesses keeps nobody out, and many guess right once in ten thousand codes. The product's own choice.</summary>
    public const int Tries = 5, TriesOfAll = 100;

    /// <summary>So long it may be used; the product's own choice.</summary>
    public static readonly TimeSpan Lasts = TimeSpan.FromMinutes(5);

    /// <summary>The one rig that is shown to who comes in; null is all.</summary>
    public Guid? Rig { get; init; }

    /// <summary>Wrong tries so far, by where they came from.</summary>
    public IReadOnlyDictionary<string, int> Missed { get; init; } = new Dictionary<string, int>();

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
    public bool Stands(DateTimeOffset now) => !Used && Missed.Values.Sum() < TriesOfAll && now - Made < Lasts && now >= Made;

    /// <summary>Judges what was typed, in a time that does not tell how much of it is right.</summary>
    /// <param name="typed">What was typed.</param>
    /// <param name="from">Address that it came from.</param>
    /// <param name="now">When.</param>
    public (JoinVerdict Verdict, JoinCode After) Judge(string typed, string from, DateTimeOffset now)
    {
        if (!Stands(now))
            return (JoinVerdict.Over, this);
        var missed = Missed.GetValueOrDefault(from);
        if (missed >= Tries)
            return (JoinVerdict.Deaf, this);
        var differs = typed.Length ^ Digits.Length;
        for (var i = 0; i < Digits.Length; i++)
            differs |= Digits[i] ^ (i < typed.Length ? typed[i] : 0);
        return differs == 0 ? (JoinVerdict.Joined, this with { Used = true }) : (JoinVerdict.Wrong,
            this with { Missed = new Dictionary<string, int>(Missed) { [from] = missed + 1 } });
    }
}
