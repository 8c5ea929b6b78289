using System.Reflection;

namespace Vanto.Core.Findings;

/// <summary>How far a formula or figure can be trusted to stand somewhere in print.</summary>
public enum SourceKind { Published, FromMemory, CommonPractice, Definition }

/// <summary>Where a formula or figure comes from.</summary>
/// <param name="Id">Short name, the same in the API.</param>
/// <param name="Kind">Published and named; from memory (published, but recalled and not looked up); common practice; definition of this product.</param>
/// <param name="Title">The document, or what the practice is.</param>
public sealed record Source(string Id, SourceKind Kind, string Title);

/// <summary>All sources that Vanto names.</summary>
public static class Sources
{
    public static readonly Source Nist = new(nameof(Nist), SourceKind.Published, "NIST SP 811 (2008), appendix B, and exact definitions");
    public static readonly Source Psychrometrics = new(nameof(Psychrometrics), SourceKind.FromMemory, "ASHRAE Handbook Fundamentals 2017 (SI), ch. 1; saturation by Hyland and Wexler");
    public static readonly Source Atmosphere = new(nameof(Atmosphere), SourceKind.FromMemory, "ICAO standard atmosphere in the ASHRAE form");
    public static readonly Source SunPosition = new(nameof(SunPosition), SourceKind.FromMemory, "Meeus, Astronomical Algorithms, 2nd ed., ch. 12, 22, 25; checked against the published example of the NREL solar position algorithm");
    public static readonly Source Extraterrestrial = new(nameof(Extraterrestrial), SourceKind.FromMemory, "Spencer 1971");
    public static readonly Source AirMass = new(nameof(AirMass), SourceKind.FromMemory, "Kasten and Young 1989");
    public static readonly Source ClearSky = new(nameof(ClearSky), SourceKind.FromMemory, "Ineichen and Perez 2002");
    public static readonly Source Transposition = new(nameof(Transposition), SourceKind.FromMemory, "Hay and Davies 1980; Liu and Jordan 1963");
    public static readonly Source DesignDay = new(nameof(DesignDay), SourceKind.FromMemory, "ASHRAE Fundamentals 2009 to 2017, ch. 14: fractions of the daily range");
    public static readonly Source Films = new(nameof(Films), SourceKind.FromMemory, "ISO 6946:2017");
    public static readonly Source SolAir = new(nameof(SolAir), SourceKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 18");
    public static readonly Source SkyTemperature = new(nameof(SkyTemperature), SourceKind.FromMemory, "Clark and Allen 1978 with the cloud factor of Walton 1983");
    public static readonly Source Materials = new(nameof(Materials), SourceKind.FromMemory, "Handbook-typical properties");
    public static readonly Source Glass = new(nameof(Glass), SourceKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 15, table 10, rounded; covers common practice");
    public static readonly Source People = new(nameof(People), SourceKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 18, table 1, rounded");
    public static readonly Source HeatBalance = new(nameof(HeatBalance), SourceKind.Definition, "Heat balance of one air node, the skin in layers and one contents mass, solved implicitly step by step");
    public static readonly Source ZoneMethod = new(nameof(ZoneMethod), SourceKind.CommonPractice, "Ribs and studs as extra conductance in parallel");
    public static readonly Source Trade = new(nameof(Trade), SourceKind.CommonPractice, "Common practice, no published source");
    public static readonly Source CapacityBand = new(nameof(CapacityBand), SourceKind.FromMemory, "ACCA Manual S (2014): limits of capacity against load");
    public static readonly Source Derate = new(nameof(Derate), SourceKind.CommonPractice, "Short derate by outdoor heat, indoor wet bulb, altitude and air flow; a maker's table replaces it");
    public static readonly Source Coil = new(nameof(Coil), SourceKind.FromMemory, "Bypass factor and apparatus dew point, textbook");
    public static readonly Source RatingPoint = new(nameof(RatingPoint), SourceKind.Published, "AHRI 210/240 cooling test A; default cycling degradation 0.25");
    public static readonly Source RooftopCurve = new(nameof(RooftopCurve), SourceKind.FromMemory, "Cutler et al. 2013, NREL/TP-5500-56354, converted from °F");
    public static readonly Source InverterCurve = new(nameof(InverterCurve), SourceKind.CommonPractice, "Conservative curve for modulating units: −1 %/K capacity, +2.2 %/K input ratio");
    public static readonly Source WetBulb = new(nameof(WetBulb), SourceKind.Published, "Stull 2011, J. Appl. Meteorol. Climatol. 50, eq. 1");
    public static readonly Source MotorModel = new(nameof(MotorModel), SourceKind.Definition, "Single-phase motor as a balanced two-winding machine with a starting-torque factor");
    public static readonly Source Nec440 = new(nameof(Nec440), SourceKind.Published, "NEC 440.33 and 440.22(A): 1.25 and 1.75 times the compressor's current; for modulating units common practice");
    public static readonly Source FirstPeak = new(nameof(FirstPeak), SourceKind.Published, "IEC 60909-0: first peak factor κ");
    public static readonly Source SurgeCurves = new(nameof(SurgeCurves), SourceKind.CommonPractice, "Typical surge bearing by class of source; a maker's curve replaces it");
    public static readonly Source Breakers = new(nameof(Breakers), SourceKind.Published, "UL 489 and IEC 60898-1 anchor points; points between are common practice");
    public static readonly Source Copper = new(nameof(Copper), SourceKind.Published, "IACS resistivity of copper; ASTM B258 wire gauge");
    public static readonly Source VoltageBand = new(nameof(VoltageBand), SourceKind.Published, "NEMA MG 1: ±10 % at the motor");
    public static readonly Source PlateRules = new(nameof(PlateRules), SourceKind.Published, "NEC 440.33 and 440.22(A)");
    public static readonly Source Battery = new(nameof(Battery), SourceKind.CommonPractice, "Typical cell curves by chemistry; a maker's sheet replaces them");
    public static readonly Source Peukert = new(nameof(Peukert), SourceKind.Published, "Peukert 1897");
    public static readonly Source CellTemperature = new(nameof(CellTemperature), SourceKind.FromMemory, "Ross coefficient by mounting, Nordmann and Clavadetscher 2003");
    public static readonly Source Modules = new(nameof(Modules), SourceKind.CommonPractice, "Module power by irradiance and cell temperature with typical losses");
    public static readonly Source ColdTable = new(nameof(ColdTable), SourceKind.Published, "NEC table 690.7(A): cold factors for crystalline silicon; coefficients from the module's plate");
    public static readonly Source PvCurrents = new(nameof(PvCurrents), SourceKind.Published, "NEC 690.8 and 690.9: conductor current and string fuses");
    public static readonly Source InverterLoss = new(nameof(InverterLoss), SourceKind.CommonPractice, "Idle draw, a linear and a quadratic loss; typical shares");
    public static readonly Source GeneratorDerate = new(nameof(GeneratorDerate), SourceKind.CommonPractice, "3.5 % per 305 m and 1 % per 5.56 K above 25 °C");
    public static readonly Source Fuel = new(nameof(Fuel), SourceKind.CommonPractice, "Linear fuel line by kind of engine; diesel after Skarstein and Uhlen 1989, from memory");
    public static readonly Source EnergyBalance = new(nameof(EnergyBalance), SourceKind.Definition, "Energy balance, each step closing to 1e-6 of its throughput");
    public static readonly Source HandBudget = new(nameof(HandBudget), SourceKind.CommonPractice, "Watt-hour budget as fitters do it by hand");
    public static readonly Source VerdictBands = new(nameof(VerdictBands), SourceKind.CommonPractice, "Verdict bands of a start-up; plate and manual win");
    public static readonly Source Refrigerants = new(nameof(Refrigerants), SourceKind.FromMemory, "Ancillary equations published with the reference equations of state (Lemmon 2003; Tillner-Roth and Yokozeki 1997; Tillner-Roth and Baehr 1994; Lemmon, McLinden and Wagner 2009)");
    public static readonly Source GayLussac = new(nameof(GayLussac), SourceKind.Published, "Gay-Lussac's law");
    public static readonly Source Geometry = new(nameof(Geometry), SourceKind.Published, "Plane geometry");
    public static readonly Source Arithmetic = new(nameof(Arithmetic), SourceKind.CommonPractice, "Arithmetic on the readings given");
    public static readonly Source AirSide = new(nameof(AirSide), SourceKind.FromMemory, "Air-side heat balance, ASHRAE");

    public static readonly Source DiffuseSplit = new(nameof(DiffuseSplit), SourceKind.FromMemory, "Erbs, Klein and Duffie 1982; cloud by Kasten and Czeplak 1980");
    public static readonly Source DoorFlow = new(nameof(DoorFlow), SourceKind.FromMemory, "Two-way buoyant flow through a door in coefficient form");
    public static readonly Source Breath = new(nameof(Breath), SourceKind.CommonPractice, "0.0052 L/s of carbon dioxide a seated adult, 0.0036 asleep; 5,000 ppm is the usual workplace limit, from memory");
    public static readonly Source MadeWeather = new(nameof(MadeWeather), SourceKind.Definition, "Daily clearness by Bendt et al. 1981, hours by Collares-Pereira and Rabl 1979, months to days by Rymes and Myers 2001, from memory; spreads common practice");
    public static readonly Source EpwFormat = new(nameof(EpwFormat), SourceKind.FromMemory, "EnergyPlus Auxiliary Programs document: the EPW weather file format");

    private static readonly Dictionary<string, Source> ById = typeof(Sources)
        .GetFields(BindingFlags.Public | BindingFlags.Static)
        .Where(f => f.FieldType == typeof(Source))
        .ToDictionary(f => f.Name, f => (Source)f.GetValue(null)!);

    /// <summary>The source of that id.</summary>
    public static Source Named(string id) => ById[id];
}
