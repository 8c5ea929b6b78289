namespace Vanto.Core.Load;

/// <summary>How gains split between the air at once (convective) and what stands in the space, which gives it off later (radiant).</summary>
internal static class GainShares
{
    /// <summary>Sun through glass that falls on floor and fittings; common practice.</summary>
    public const double SunRadiant = 0.7;

    /// <summary>The rest of it warms the air at once.</summary>
    public const double SunConvective = 1 - SunRadiant;

    /// <summary>People (ASHRAE Fundamentals 2017, ch. 18, table 1, from memory).</summary>
    public const double PeopleRadiant = 0.6;

    /// <summary>The rest of it.</summary>
    public const double PeopleConvective = 1 - PeopleRadiant;

    /// <summary>Electronics and lamps; common practice.</summary>
    public const double ElectronicsRadiant = 0.3;

    /// <summary>Stoves and pots; common practice.</summary>
    public const double CookingRadiant = 0.4;

    /// <summary>Share of an animal's heat that is dry (ASHRAE Fundamentals 2017, ch. 10, from memory).</summary>
    public const double AnimalSensible = 0.67;

    /// <summary>Share of cooking heat that stays in the space under a hood that works; common practice.</summary>
    public const double UnderHood = 0.5;

    /// <summary>Share of cooking heat without a flame that is damp; common practice.</summary>
    public const double CookingLatent = 0.3;
}
