using System.Reflection;

namespace Vanto.Core.Findings;

/// <summary>How far a formula or figure can be trusted to stand somewhere in print.</summary>
public enum CitationKind { Published, FromMemory, CommonPractice, Definition }

/// <summary>Where a formula or figure comes from.</summary>
/// <param name="Id">Short name, the same in the API.</param>
/// <param name="Kind">Published and named; from memory (published, but recalled and not looked up); common practice; definition of this product.</param>
/// <param name="Title">The document, or what the practice is.</param>
public sealed record Citation(string Id, CitationKind Kind, string Title);

/// <summary>All citations that Vanto names.</summary>
public static class Citations
{
    public static readonly Citation Nist = new(nameof(Nist), CitationKind.Published, "NIST SP 811 (2008), appendix B, and exact definitions");
    public static readonly Citation Psychrometrics =
        new(nameof(Psychrometrics), CitationKind.FromMemory, "ASHRAE Handbook Fundamentals 2017 (SI), ch. 1; saturation by Hyland and Wexler");
    public static readonly Citation Atmosphere = new(nameof(Atmosphere), CitationKind.FromMemory, "ICAO standard atmosphere in the ASHRAE form");
    public static readonly Citation SunPosition = new(nameof(SunPosition), CitationKind.FromMemory,
        "Meeus, Astronomical Algorithms, 2nd ed., ch. 12, 22, 25; checked against the published example of the NREL solar position algorithm");
    public static readonly Citation Extraterrestrial = new(nameof(Extraterrestrial), CitationKind.FromMemory, "Spencer 1971");
    public static readonly Citation AirMass = new(nameof(AirMass), CitationKind.FromMemory, "Kasten and Young 1989");
    public static readonly Citation ClearSky = new(nameof(ClearSky), CitationKind.FromMemory, "Ineichen and Perez 2002");
    public static readonly Citation Transposition = new(nameof(Transposition), CitationKind.FromMemory, "Hay and Davies 1980; Liu and Jordan 1963");
    public static readonly Citation DesignDay =
        new(nameof(DesignDay), CitationKind.FromMemory, "ASHRAE Fundamentals 2009 to 2017, ch. 14: fractions of the daily range");
    public static readonly Citation Films = new(nameof(Films), CitationKind.FromMemory, "ISO 6946:2017");
    public static readonly Citation SolAir = new(nameof(SolAir), CitationKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 18");
    public static readonly Citation SkyTemperature =
        new(nameof(SkyTemperature), CitationKind.FromMemory, "Clark and Allen 1978 with the cloud factor of Walton 1983");
    public static readonly Citation Materials = new(nameof(Materials), CitationKind.FromMemory, "Handbook-typical properties");
    public static readonly Citation Glass =
        new(nameof(Glass), CitationKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 15, table 10, rounded; covers common practice");
    public static readonly Citation People = new(nameof(People), CitationKind.FromMemory, "ASHRAE Fundamentals 2017, ch. 18, table 1, rounded");
    public static readonly Citation HeatBalance = new(nameof(HeatBalance), CitationKind.Definition,
        "Heat balance of one air node, the skin in layers and one contents mass, solved implicitly step by step");
    public static readonly Citation StillAir = new(nameof(StillAir), CitationKind.CommonPractice,
        "Still air inside: convection of 1.5 to 3.5 W/m²K, radiation among the surfaces apart from it; common practice, no published source");
    public static readonly Citation Ground = new(nameof(Ground), CitationKind.CommonPractice,
        "Warmth of the ground in the sun and in a rig's shade: asphalt near 65 °C, sand near 60 °C, grass hardly above the air; common practice");
    public static readonly Citation Attic = new(nameof(Attic), CitationKind.CommonPractice,
        "A vented attic as a node of its own between a roof of 1.1 m² for each m² of ceiling, its vents and the ceiling; common practice");
    public static readonly Citation Moisture = new(nameof(Moisture), CitationKind.CommonPractice,
        "Water balance of a room; air, linings and soft furnishings hold ten times the water of the air alone (5 to 20, common practice)");
    public static readonly Citation ZoneMethod = new(nameof(ZoneMethod), CitationKind.CommonPractice, "Ribs and studs as extra conductance in parallel");
    public static readonly Citation ThreePoints = new(nameof(ThreePoints), CitationKind.FromMemory,
        "Malcolm, Roseboom, Clark, Fazar, Operations Research 7 (1959): mean and spread of a least, likely and greatest time");
    public static readonly Citation IdealGas = new(nameof(IdealGas), CitationKind.Published, "Ideal gas law; nitrogen 296.8 J/(kg·K)");
    public static readonly Citation Costing = new(nameof(Costing), CitationKind.CommonPractice, "Standard costing, as in any text of management accounting");
    public static readonly Citation TaskTimes = new(nameof(TaskTimes), CitationKind.CommonPractice,
        "Steps and minutes of one practised fitter; common practice, no published source");
    public static readonly Citation Trade = new(nameof(Trade), CitationKind.CommonPractice, "Common practice, no published source");
    public static readonly Citation CapacityBand = new(nameof(CapacityBand), CitationKind.FromMemory, "ACCA Manual S (2014): limits of capacity against load");
    public static readonly Citation Derate =
        new(nameof(Derate), CitationKind.CommonPractice, "Short derate by outdoor heat, indoor wet bulb, altitude and air flow; a maker's table replaces it");
    public static readonly Citation Coil = new(nameof(Coil), CitationKind.FromMemory, "Bypass factor and apparatus dew point, textbook");
    public static readonly Citation RatingPoint =
        new(nameof(RatingPoint), CitationKind.Published, "AHRI 210/240 cooling test A; default cycling degradation 0.25");
    public static readonly Citation RooftopCurve =
        new(nameof(RooftopCurve), CitationKind.FromMemory, "Cutler et al. 2013, NREL/TP-5500-56354, converted from °F");
    public static readonly Citation InverterCurve =
        new(nameof(InverterCurve), CitationKind.CommonPractice, "Conservative curve for modulating units: −1 %/K capacity, +2.2 %/K input ratio");
    public static readonly Citation WetBulb = new(nameof(WetBulb), CitationKind.Published, "Stull 2011, J. Appl. Meteorol. Climatol. 50, eq. 1");
    public static readonly Citation MotorModel =
        new(nameof(MotorModel), CitationKind.Definition, "Single-phase motor as a balanced two-winding machine with a starting-torque factor");
    public static readonly Citation Nec440 = new(nameof(Nec440), CitationKind.Published,
        "NEC 440.33 and 440.22(A): 1.25 and 1.75 times the compressor's current; for modulating units common practice");
    public static readonly Citation FirstPeak = new(nameof(FirstPeak), CitationKind.Published, "IEC 60909-0: first peak factor κ");
    public static readonly Citation SurgeCurves =
        new(nameof(SurgeCurves), CitationKind.CommonPractice, "Typical surge bearing by class of source; a maker's curve replaces it");
    public static readonly Citation Breakers =
        new(nameof(Breakers), CitationKind.Published, "UL 489 and IEC 60898-1 anchor points; points between are common practice");
    public static readonly Citation Copper = new(nameof(Copper), CitationKind.Published, "IACS resistivity of copper; ASTM B258 wire gauge");
    public static readonly Citation VoltageBand = new(nameof(VoltageBand), CitationKind.Published, "NEMA MG 1: ±10 % at the motor");
    public static readonly Citation PlateRules = new(nameof(PlateRules), CitationKind.Published, "NEC 440.33 and 440.22(A)");
    public static readonly Citation Battery =
        new(nameof(Battery), CitationKind.CommonPractice, "Typical cell curves by chemistry; a maker's sheet replaces them");
    public static readonly Citation Peukert = new(nameof(Peukert), CitationKind.Published, "Peukert 1897");
    public static readonly Citation CellTemperature =
        new(nameof(CellTemperature), CitationKind.FromMemory, "Ross coefficient by mounting, Nordmann and Clavadetscher 2003");
    public static readonly Citation Modules =
        new(nameof(Modules), CitationKind.CommonPractice, "Module power by irradiance and cell temperature with typical losses");
    public static readonly Citation ColdTable =
        new(nameof(ColdTable), CitationKind.Published, "NEC table 690.7(A): cold factors for crystalline silicon; coefficients from the module's plate");
    public static readonly Citation PvCurrents = new(nameof(PvCurrents), CitationKind.Published, "NEC 690.8 and 690.9: conductor current and string fuses");
    public static readonly Citation InverterLoss =
        new(nameof(InverterLoss), CitationKind.CommonPractice, "Idle draw, a linear and a quadratic loss; typical shares");
    public static readonly Citation GeneratorDerate =
        new(nameof(GeneratorDerate), CitationKind.CommonPractice, "3.5 % per 305 m and 1 % per 5.56 K above 25 °C");
    public static readonly Citation Fuel =
        new(nameof(Fuel), CitationKind.CommonPractice, "Linear fuel line by kind of engine; diesel after Skarstein and Uhlen 1989, from memory");
    public static readonly Citation EnergyBalance =
        new(nameof(EnergyBalance), CitationKind.Definition, "Energy balance, each step closing to 1e-6 of its throughput");
    public static readonly Citation HandBudget = new(nameof(HandBudget), CitationKind.CommonPractice, "Watt-hour budget as fitters do it by hand");
    public static readonly Citation VerdictBands = new(nameof(VerdictBands), CitationKind.CommonPractice, "Verdict bands of a start-up; plate and manual win");
    public static readonly Citation Refrigerants = new(nameof(Refrigerants), CitationKind.FromMemory, "Ancillary equations published with the reference "
        + "equations of state (Lemmon 2003; Tillner-Roth and Yokozeki 1997; Tillner-Roth and Baehr 1994; Lemmon, McLinden and Wagner 2009)");
    public static readonly Citation GasFlow = new(nameof(GasFlow), CitationKind.FromMemory,
        "Dushman, Scientific Foundations of Vacuum Technique; Roth, Vacuum Technology: tube in laminar and molecular flow, 10 to 20 % off between");
    public static readonly Citation EvacuationModel = new(nameof(EvacuationModel), CitationKind.Definition,
        "Air, vapour, free and bound water of one volume behind a hose, followed in time; this product's model");
    public static readonly Citation LeakScaling = new(nameof(LeakScaling), CitationKind.FromMemory,
        "Leaks between gases by molecular mass or by viscosity and squared pressures, textbook vacuum practice; viscosities ±10 %");
    public static readonly Citation GasEnergy = new(nameof(GasEnergy), CitationKind.Published, "Isothermal exergy of an ideal gas");
    public static readonly Citation DecayShapes = new(nameof(DecayShapes), CitationKind.Definition,
        "Shapes fitted by weighted least squares and compared by the Bayesian information criterion (Schwarz 1978); the rules are this product's");
    public static readonly Citation GayLussac = new(nameof(GayLussac), CitationKind.Published, "Gay-Lussac's law");
    public static readonly Citation Geometry = new(nameof(Geometry), CitationKind.Published, "Plane geometry");
    public static readonly Citation Arithmetic = new(nameof(Arithmetic), CitationKind.CommonPractice, "Arithmetic on the readings given");
    public static readonly Citation AirSide = new(nameof(AirSide), CitationKind.FromMemory, "Air-side heat balance, ASHRAE");

    public static readonly Citation SoundNight = new(nameof(SoundNight), CitationKind.FromMemory,
        "WHO guidelines for community noise (1999) and night noise guidelines for Europe (2009): 30 dB(A) at the pillow, 40 outdoors");
    public static readonly Citation WorkingSpace = new(nameof(WorkingSpace), CitationKind.FromMemory, "NEC 110.26 and 440.14; local codes rule");
    public static readonly Citation RoomCharge = new(nameof(RoomCharge), CitationKind.FromMemory,
        "IEC 60335-2-40, annex GG; flammability limits of ISO 817; written for buildings, elsewhere guidance");

    public static readonly Citation Statics = new(nameof(Statics), CitationKind.Published, "Statics and strength of materials, textbooks");
    public static readonly Citation MountCases = new(nameof(MountCases), CitationKind.CommonPractice,
        "Four times the weight, shocks of 2 g, 1 g braking and cornering; cargo rules ask less (49 CFR 393.102, EN 12195-1, from memory)");
    public static readonly Citation MountScheme = new(nameof(MountScheme), CitationKind.CommonPractice,
        "Factored load effect over design strength; the mixture of partial factors is the product's own, an engineer's word stands above it");
    public static readonly Citation Bolts = new(nameof(Bolts), CitationKind.Published, "EN 1993-1-8:2005, table 3.4; thread by ISO 724, class by ISO 898-1");
    public static readonly Citation Welds = new(nameof(Welds), CitationKind.Published, "EN 1993-1-8:2005, 4.5.3.3; welds as lines, textbook");
    public static readonly Citation Struts = new(nameof(Struts), CitationKind.Published, "Johnson and Euler, machine-design textbooks");
    public static readonly Citation Tubes = new(nameof(Tubes), CitationKind.Published, "EN 10219-2:2006, annex B");
    public static readonly Citation WoodScrews = new(nameof(WoodScrews), CitationKind.FromMemory, "NDS 2018, chapter 12 and appendix N");
    public static readonly Citation SheetScrews = new(nameof(SheetScrews), CitationKind.FromMemory, "AISI S100-16; Aluminum Design Manual for aluminium");
    public static readonly Citation Laminates = new(nameof(Laminates), CitationKind.FromMemory, "ISO 12215-5:2008, annex; factor 3 is the product's own");
    public static readonly Citation AnchorPaper = new(nameof(AnchorPaper), CitationKind.FromMemory,
        "The anchor's own paper, typed; groups and edges after EN 1992-4:2018");
    public static readonly Citation Shaking = new(nameof(Shaking), CitationKind.Published, "One mass on springs, vibration textbooks");
    public static readonly Citation SeaWater = new(nameof(SeaWater), CitationKind.FromMemory, "Series in sea water, ASTM G82 style, ±0.1 V");
    public static readonly Citation Concrete = new(nameof(Concrete), CitationKind.FromMemory,
        "Maturity by Nurse and Saul; strength by ACI 209R-92; yields of bags common practice");
    public static readonly Citation Drag = new(nameof(Drag), CitationKind.Published,
        "Drag of a box, fluid mechanics textbooks; building roofs ASCE 7 from memory");
    public static readonly Citation RoadLimits = new(nameof(RoadLimits), CitationKind.FromMemory,
        "Height 4.00 m and width 2.55 m by Directive 96/53/EC; 4.115 m and 2.59 m in most US states");

    public static readonly Citation WireTables = new(nameof(WireTables), CitationKind.FromMemory,
        "Ampacity: NEC tables 310.16 and 310.15(B) (NFPA 70), IEC 60364-5-52, ABYC E-11, ISO 13297; recalled, not checked against the books");
    public static readonly Citation DropFormula = new(nameof(DropFormula), CitationKind.Published,
        "Ohm's law on two conductors; resistances NEC chapter 9, tables 8 and 9, and IEC 60228, from memory");
    public static readonly Citation DcCable = new(nameof(DcCable), CitationKind.FromMemory,
        "ABYC E-11: CM = 10.75·I·L/E; ISO 13297: S = 0.0164·I·L/E; fuses by their classes; the data sheet stands above");
    public static readonly Citation PvWires = new(nameof(PvWires), CitationKind.FromMemory, "NEC 690.8 and 690.9; IEC 62548");
    public static readonly Citation Conduits = new(nameof(Conduits), CitationKind.FromMemory, "NEC chapter 9, tables 1, 4 and 5, and 314.16(B)");
    public static readonly Citation EarthWires = new(nameof(EarthWires), CitationKind.FromMemory, "NEC 250.122; IEC 60364-5-54, table 54.2");
    public static readonly Citation PowerTests = new(nameof(PowerTests), CitationKind.FromMemory, "IEC 60364-6, IEC 61008, UL 943");

    public static readonly Citation DiffuseSplit =
        new(nameof(DiffuseSplit), CitationKind.FromMemory, "Erbs, Klein and Duffie 1982; cloud by Kasten and Czeplak 1980");
    public static readonly Citation DoorFlow = new(nameof(DoorFlow), CitationKind.FromMemory, "Two-way buoyant flow through a door in coefficient form");
    public static readonly Citation Leakage = new(nameof(Leakage), CitationKind.FromMemory,
        "ASHRAE Handbook Fundamentals, ch. 16: basic model of leakage, one storey, little sheltered");
    public static readonly Citation Breath = new(nameof(Breath), CitationKind.CommonPractice,
        "0.0052 L/s of carbon dioxide a seated adult, 0.0036 asleep; 5,000 ppm is the usual workplace limit, from memory");
    public static readonly Citation MadeWeather = new(nameof(MadeWeather), CitationKind.Definition,
        "Daily clearness by Bendt et al. 1981, hours by Collares-Pereira and Rabl 1979, months to days by Rymes and Myers 2001, from memory; spreads common "
            + "practice");
    public static readonly Citation EpwFormat =
        new(nameof(EpwFormat), CitationKind.FromMemory, "EnergyPlus Auxiliary Programs document: the EPW weather file format");

    private static readonly Dictionary<string, Citation> ById = typeof(Citations)
        .GetFields(BindingFlags.Public | BindingFlags.Static)
        .Where(f => f.FieldType == typeof(Citation))
        .ToDictionary(f => f.Name, f => (Citation)f.GetValue(null)!);

    public static Citation Named(string id) => ById[id];
}
