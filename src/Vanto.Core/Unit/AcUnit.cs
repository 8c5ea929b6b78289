using Vanto.Core.Quantities;

namespace Vanto.Core.Unit;

/// <summary>Kinds of air conditioner.</summary>
public enum AcKind
{
    [Called("rooftop, single-speed")] RooftopSingleSpeed,
    [Called("railing split, single-speed")] RailingPortable,
    [Called("mini-split, inverter-driven")] MiniSplitInverter,
    [Called("DC-native rooftop")] DcNativeRooftop,
    [Called("DC-native split")] DcNativeSplit,
    [Called("PV-assisted split")] PvAssistedSplit,
}

/// <summary>
/// One air conditioner as its plate says. SI; <see cref="FrequencyHz"/> 0 means DC. Rating point: indoor 26.7/19.44 °C, outdoor 35 °C (AHRI 210/240 test A).
/// </summary>
public sealed record AcUnit : DesignPart
{
    /// <summary>Power factor of a unit's fan; common practice.</summary>
    public const double FanPowerFactor = 0.85;

    /// <summary>Locked-rotor current against the running one, at least; below it the two do not belong together (definition of the motor model).</summary>
    public const double LeastLockedRotor = 2.5;

    [Ask("Name", Longest = 60)] public string Id { get; init; } = "";
    [Ask("Kind")] public AcKind Kind { get; init; }
    [Field(QuantityKind.Voltage, 10, 500, Label = "Supply voltage")] public double SupplyVoltageV { get; init; } = 115;
    [Field(QuantityKind.Number, 0, 60, Label = "Frequency (0 for DC)")] public double FrequencyHz { get; init; } = 60;
    [Field(QuantityKind.Power, 500, 20000, Label = "Rated cooling")] public double RatedCapacityW { get; init; } = 2700;
    [Field(QuantityKind.ElectricPower, 100, 8000, Label = "Rated input")] public double RatedPowerW { get; init; } = 980;
    [Field(QuantityKind.Power, 0, 20000, Label = "Lowest steady cooling")] public double MinCapacityW { get; init; }
    [Field(QuantityKind.Power, 0, 28000, Label = "Highest cooling")] public double MaxCapacityW { get; init; }
    [Field(QuantityKind.Current, 0, 100, Label = "Compressor running current (RLA)")] public double RlaA { get; init; }
    [Field(QuantityKind.Current, 0, 400, Label = "Compressor locked-rotor current (LRA)", Help = "0 where the plate does not say; 5.2 times RLA is taken then")]
    public double LraA { get; init; }
    [Field(QuantityKind.Fraction, 0.5, 1, Label = "Power factor running")] public double PowerFactorRun { get; init; } = 0.97;
    [Field(QuantityKind.Fraction, 0.3, 0.95, Label = "Power factor, rotor locked")] public double PowerFactorLockedRotor { get; init; } = 0.80;
    [Field(QuantityKind.ElectricPower, 5, 500, Label = "Fan")] public double FanPowerW { get; init; } = 110;
    [Field(QuantityKind.ElectricPower, 0, 50, Label = "Standby")] public double StandbyPowerW { get; init; } = 5;
    [Field(QuantityKind.Number, 0, 0.4, Label = "Cycling degradation")] public double CyclingDegradation { get; init; } = 0.25;
    [Field(QuantityKind.Fraction, 0.5, 1, Label = "Sensible share at rating")] public double SensibleHeatRatio { get; init; } = 0.75;
    [Field(QuantityKind.Seconds, 0.05, 1.5, Label = "Start time at full voltage")] public double StartTimeS { get; init; } = 0.25;
    [Field(QuantityKind.Temperature, 35, 60, Label = "Highest outdoor temperature")] public double MaxOutdoorC { get; init; } = 46;
    [Field(QuantityKind.Mass, 1, 500, Label = "Weight")] public double MassKg { get; init; } = 33;
    [Field(QuantityKind.Power, 0, 30000, Label = "Rated heating",
        Help = "at {8.3:Temperature} outdoors; 0 where it only cools")]
    public double HeatingW { get; init; }
    [Field(QuantityKind.Temperature, -40, 15, Label = "Heats down to")] public double HeatingLowestC { get; init; } = -15;
    [Field(QuantityKind.Current, 1, 150, Label = "Minimum circuit ampacity (MCA)", Help = "empty is estimated", Optional = true)]
    public double? McaA { get; init; }
    [Field(QuantityKind.Current, 1, 150, Label = "Largest breaker or fuse (MOCP)", Help = "empty is estimated", Optional = true)]
    public double? MocpA { get; init; }
    [Field(QuantityKind.Number, 10, 100, Label = "Noise indoors, dB(A)", Optional = true)] public double? NoiseInDb { get; init; }
    [Field(QuantityKind.Number, 10, 110, Label = "Noise outdoors, dB(A)", Optional = true)] public double? NoiseOutDb { get; init; }

    /// <summary>
    /// What people call it: a class of the catalogue by kind, size in thousands of BTU an hour and volts, such as "mini-split 12k, 120 V"; one's own by
    /// the name that was typed.
    /// </summary>
    public string Name => UnitCatalogue.Find(Id) is null ? Id
        : FormattableString.Invariant($"{Spoken[Kind]} {Math.Round(RatedCapacityW / QuantityTable.WattsPerBtuPerHour / 500) / 2:0.#}k, {SupplyVoltageV:0} V");

    /// <summary>Its name where a sentence begins with it.</summary>
    public string NameFirst => Name == Id ? Id : char.ToUpperInvariant(Name[0]) + Name[1..];

    private static readonly Dictionary<AcKind, string> Spoken = new()
    {
        [AcKind.RooftopSingleSpeed] = "rooftop",
        [AcKind.RailingPortable] = "railing split",
        [AcKind.MiniSplitInverter] = "mini-split",
        [AcKind.DcNativeRooftop] = "DC rooftop",
        [AcKind.DcNativeSplit] = "DC split",
        [AcKind.PvAssistedSplit] = "PV-assisted split",
    };

    /// <summary>True for a single-speed compressor, which has a locked rotor at the start.</summary>
    public bool SingleSpeed => Kind is AcKind.RooftopSingleSpeed or AcKind.RailingPortable;

    /// <summary>True where its refrigerant circuit is joined on site; rooftop and railing units come sealed.</summary>
    public bool JoinedOnSite => Kind is AcKind.MiniSplitInverter or AcKind.DcNativeSplit or AcKind.PvAssistedSplit;

    /// <summary>True for units that run straight on the battery.</summary>
    public bool IsDc => FrequencyHz == 0;

    /// <summary>True for rooftop and portable units, whose fan may rest with the compressor.</summary>
    public bool FanRestsWithCompressor => Kind is AcKind.RooftopSingleSpeed or AcKind.RailingPortable or AcKind.DcNativeRooftop;

    /// <summary>True where a single-speed unit's plate gives no locked-rotor current.</summary>
    public bool LraEstimated => SingleSpeed && LraA <= 0;

    /// <summary>Locked-rotor current: the plate's, else 5.2 times the running current, common practice.</summary>
    public double LockedRotorA => LraEstimated ? 5.2 * RlaA : LraA;

    /// <summary>The same, giving a share of its cooling for the same power.</summary>
    public AcUnit Giving(double share) => this with
    {
        RatedCapacityW = RatedCapacityW * share,
        MinCapacityW = MinCapacityW * share,
        MaxCapacityW = MaxCapacityW * share,
    };

    /// <summary>Lowest steady share of the rated capacity.</summary>
    public double MinShare => SingleSpeed ? 1 : MinCapacityW / RatedCapacityW;

    /// <summary>
    /// Heating capacity by outdoor temperature where no maker's curve is at hand: 51 % of rated at −15 °C, 74 % at −7 °C, defrost included; common
    /// practice.
    /// </summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<(double OutdoorC, double Watts)> HeatingCurve =>
        [(-15, 0.514 * HeatingW), (-7, 0.743 * HeatingW), (8.3, HeatingW), (20, 1.1 * HeatingW)];

    /// <summary>Highest share of the rated capacity.</summary>
    public double MaxShare => SingleSpeed ? 1 : MaxCapacityW / RatedCapacityW;
}

/// <summary>Generic classes of air conditioners; invented figures of typical size, common practice.</summary>
public static class UnitCatalogue
{
    public static IReadOnlyList<AcUnit> All { get; } =
    [
        Rooftop("RT-09-115", 115, 60, 2700, 980, 7.6, 40, 110, 33), Rooftop("RT-11-115", 115, 60, 3220, 1200, 9.4, 48, 120, 38),
        Rooftop("RT-13-115", 115, 60, 3960, 1530, 12, 63, 130, 42), Rooftop("RT-15-115", 115, 60, 4400, 1760, 13.6, 68, 150, 45),
        Rooftop("RT-17-230", 230, 50, 1700, 620, 2.3, 14, 40, 29), Rooftop("RT-24-230", 230, 50, 2400, 940, 3.6, 20, 60, 33),
        Rooftop("RT-33-230", 230, 50, 3300, 1330, 5.2, 30, 80, 38),
        Split("MS-09-120", AcKind.MiniSplitInverter, 120, 60, 2640, 760, 800, 3000, 25, 2, 38),
        Split("MS-12-120", AcKind.MiniSplitInverter, 120, 60, 3520, 940, 1000, 3900, 28, 2, 42),
        Split("MS-18-240", AcKind.MiniSplitInverter, 240, 60, 5280, 1520, 1500, 5900, 40, 3, 55),
        Split("MS-24-240", AcKind.MiniSplitInverter, 240, 60, 7030, 2250, 2000, 7900, 50, 3, 70),
        Split("MS-36-240", AcKind.MiniSplitInverter, 240, 60, 10550, 3250, 3000, 11600, 80, 4, 95),
        Split("MS-26-230", AcKind.MiniSplitInverter, 230, 50, 2600, 680, 800, 3200, 22, 1.5, 34),
        Split("MS-35-230", AcKind.MiniSplitInverter, 230, 50, 3500, 980, 1000, 4000, 25, 1.5, 38),
        Split("DR-20-12", AcKind.DcNativeRooftop, 12, 0, 2000, 610, 700, 2300, 35, 2, 28),
        Split("DR-24-24", AcKind.DcNativeRooftop, 24, 0, 2400, 690, 800, 2700, 40, 2, 30),
        Split("DR-30-48", AcKind.DcNativeRooftop, 48, 0, 3000, 830, 900, 3400, 45, 3, 34),
        Split("DS-35-48", AcKind.DcNativeSplit, 48, 0, 3500, 900, 1000, 4000, 30, 3, 45),
        Split("PH-18-240", AcKind.PvAssistedSplit, 240, 60, 5280, 1560, 1350, 5900, 42, 4, 58),
        Split("PH-24-240", AcKind.PvAssistedSplit, 240, 60, 7030, 2150, 1800, 7900, 50, 4, 72),
        Rooftop("RP-08-120", 120, 60, 2350, 800, 6.3, 34, 55, 25) with { Kind = AcKind.RailingPortable },
    ];

    /// <summary>The class of that id, or null.</summary>
    public static AcUnit? Find(string id) => All.FirstOrDefault(u => u.Id == id);

    private static AcUnit Rooftop(string id, double volts, double hertz, double capacity, double power, double rla, double lra, double fan,
        double mass) => new()
        {
            Id = id,
            Kind = AcKind.RooftopSingleSpeed,
            SupplyVoltageV = volts,
            FrequencyHz = hertz,
            RatedCapacityW = capacity,
            RatedPowerW = power,
            MinCapacityW = capacity,
            MaxCapacityW = capacity,
            RlaA = rla,
            LraA = lra,
            FanPowerW = fan,
            StandbyPowerW = 5,
            MassKg = mass,
            MaxOutdoorC = 46,
        };

    private static AcUnit Split(string id, AcKind kind, double volts, double hertz, double capacity, double power, double min, double max, double fan,
        double standby, double mass) => new()
        {
            Id = id,
            Kind = kind,
            SupplyVoltageV = volts,
            FrequencyHz = hertz,
            RatedCapacityW = capacity,
            RatedPowerW = power,
            MinCapacityW = min,
            MaxCapacityW = max,
            PowerFactorRun = hertz == 0 ? 1 : 0.97,
            FanPowerW = fan,
            StandbyPowerW = standby,
            MassKg = mass,
            MaxOutdoorC = 50,
            HeatingW = kind is AcKind.MiniSplitInverter or AcKind.DcNativeSplit or AcKind.PvAssistedSplit ? capacity : 0,
        };
}
