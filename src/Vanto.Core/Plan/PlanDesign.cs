using Vanto.Core.Quantities;

namespace Vanto.Core.Plan;

public enum FlareSchool { [Called("made on site")] Own, [Called("from the factory, looked at")] Factory }

public enum TightenSchool { [Called("by torque wrench")] Torque, [Called("by part of a turn")] Turn, [Called("by feel")] Feel }

public enum ProveSchool { [Called("nitrogen, then vacuum")] Nitrogen, [Called("vacuum only")] Vacuum }

public enum GaugeSchool { [Called("micron gauge and decay")] Micron, [Called("gauge, minutes")] Minutes, [Called("hand pump and a day")] Day }

public enum LevelSchool { [Called("dead level")] Dead, [Called("tilted to the drain")] Tilt }

public enum ValveSchool { [Called("gas first")] GasFirst, [Called("liquid first")] LiquidFirst, [Called("crack and wait")] Crack }

public enum SlackSchool { [Called("cut to length")] Cut, [Called("coiled")] Coil }

public enum LeakSchool { [Called("with soap")] Soap, [Called("with a detector")] Detector }

/// <summary>Which school the job follows, and what is there already.</summary>
public sealed record MethodDesign : DesignPart
{
    [Ask("Flares")] public FlareSchool Flare { get; init; } = FlareSchool.Own;
    [Ask("Nuts tightened")] public TightenSchool Tighten { get; init; } = TightenSchool.Torque;
    [Ask("Proved by")] public ProveSchool Prove { get; init; } = ProveSchool.Nitrogen;
    [Ask("Vacuum judged by")] public GaugeSchool Gauge { get; init; } = GaugeSchool.Micron;
    [Ask("Head hung")] public LevelSchool Level { get; init; } = LevelSchool.Dead;
    [Ask("Valves opened")] public ValveSchool Valve { get; init; } = ValveSchool.GasFirst;
    [Ask("Spare pipe")] public SlackSchool Slack { get; init; } = SlackSchool.Cut;
    [Ask("Leaks looked for")] public LeakSchool Leak { get; init; } = LeakSchool.Soap;
    [Ask("The hole is there already")] public bool HoleThere { get; init; }
    [Ask("The roof opening is there already")] public bool OpeningThere { get; init; } = true;
    [Ask("An old unit comes off")] public bool OldUnit { get; init; }
    [Ask("The circuit is there already")] public bool CircuitThere { get; init; }
    [Ask("An inspector must see it")] public bool Permit { get; init; }
    [Ask("It heats too, and that is proved")] public bool Heats { get; init; }
    [Ask("Vacuum pulled by hand")] public bool HandPump { get; init; }
    [Ask("Hoses come off under vacuum", Help = "else after the valves are open: a short hiss")] public bool HosesUnderVacuum { get; init; }
    [Ask("The old pipes stay")] public bool LinesThere { get; init; }
    [Ask("The old charge is lost already")] public bool ChargeLost { get; init; }
    [Ask("The law here asks a certificate for the first joining")] public bool CertifiedJoining { get; init; }
    [Ask("Charge is added")] public bool ExtraCharge { get; init; }
    [Ask("Battery and inverter are fitted too")] public bool Battery { get; init; }
    [Ask("Modules are fitted too")] public bool Modules { get; init; }
}

/// <summary>What somebody may lead.</summary>
public enum Licence
{
    [Called("neither")] None, [Called("electrical")] Electrician, [Called("refrigerant")] Handler, [Called("electrical and refrigerant")] Both,
}

/// <summary>Somebody of the crew.</summary>
public sealed record CrewDesign : DesignPart
{
    [Ask("Called", Longest = 60)] public string Name { get; init; } = "fitter";
    [Ask("Licence")] public Licence Licence { get; init; } = Licence.Both;
    [Ask("Licence covers flammable refrigerant")] public bool Flammable { get; init; } = true;
    [Ask("Only lends a hand")] public bool Helper { get; init; }
    [Field(QuantityKind.Number, 0, 1000, Label = "An hour costs")] public double RateH { get; init; } = 46;
}

/// <summary>Days and hours of the work.</summary>
public sealed record WhenDesign : DesignPart
{
    [Ask("First day", Date = true, Help = "empty counts day 1, day 2")] public string FirstDay { get; init; } = "";
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "From")] public double From { get; init; } = 8;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 17;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "Break at")] public double BreakAt { get; init; } = 12;
    [Field(QuantityKind.Hours, 0, 3, Label = "for")] public double BreakH { get; init; } = 0.5;
    [Ask("Saturday and Sunday too")] public bool Weekends { get; init; }
    [Ask("Outside only by daylight")] public bool ByDaylight { get; init; } = true;
    [Ask("Not on the roof in the heat")] public bool OutOfHeat { get; init; } = true;
    [Field(QuantityKind.ElectricPower, 100, 50000, Label = "Power for tools", Help = "empty is what the rig's sources give", Optional = true)]
    public double? SupplyW { get; init; }
    [Ask("Ordered on", Date = true, Help = "empty judges no order date")] public string OrderedOn { get; init; } = "";
    [Ask("A licensed finisher comes on", Date = true)] public string FinisherDay { get; init; } = "";
    [Field(QuantityKind.Count, 1, 4, Label = "Vacuum pumps")] public int Pumps { get; init; } = 1;
    [Field(QuantityKind.Fraction, 0, 0.5, Label = "Days differ by", Help = "heat, access, form of the day")] public double DayShare { get; init; } = 0.10;
    [Field(QuantityKind.Ratio, 0.3, 4, Label = "Our pace", Help = "times the library's minutes")] public double Pace { get; init; } = 1;
}

/// <summary>Hours of one day that are wet or windy, as the outlook says.</summary>
public sealed record OutlookDesign : DesignPart
{
    [Field(QuantityKind.Count, 1, 28, Label = "Day", Help = "1 is the first")] public int Day { get; init; } = 1;
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "From")] public double From { get; init; }
    [Field(QuantityKind.HourOfDay, 0, 24, Label = "to")] public double To { get; init; } = 24;
    [Ask("Rain")] public bool Wet { get; init; } = true;
    [Field(QuantityKind.Speed, 0, 40, Label = "Wind")] public double WindMs { get; init; }
}

/// <summary>Where a step is done.</summary>
public enum StepPlace { [Called("inside")] Inside, [Called("outside")] Outside, [Called("on the roof")] Roof, [Called("at the shop")] Shop }

/// <summary>A step that only this job has.</summary>
public sealed record OwnStepDesign : DesignPart
{
    [Ask("What is done", Longest = 60)] public string Name { get; init; } = "own step";
    [Ask("After", Options = "steps")] public string After { get; init; } = "arrive-park";
    [Ask("Before", Options = "steps", Help = "empty where nothing waits for it")] public string Before { get; init; } = "";
    [Field(QuantityKind.Number, 4, 120, Label = "Minutes of hands")] public double HandsMin { get; init; } = 20;
    [Field(QuantityKind.Number, 0, 40000, Label = "Minutes it then runs by itself")] public double WaitMin { get; init; }
    [Field(QuantityKind.Count, 1, 3, Label = "People")] public int People { get; init; } = 1;
    [Ask("Led by")] public Licence Led { get; init; } = Licence.None;
    [Ask("Where")] public StepPlace Place { get; init; } = StepPlace.Inside;
    [Ask("Ticked before it ends", Longest = 120, Help = "empty asks nothing")] public string Check { get; init; } = "";
}

/// <summary>A price of the firm's own book.</summary>
public sealed record PriceDesign : DesignPart
{
    [Ask("Item", Options = "bought")] public string Item { get; init; } = "sealant";
    [Ask("From", Longest = 60)] public string Supplier { get; init; } = "";
    [Field(QuantityKind.Number, 0.001, 10000, Label = "Pack of")] public double Pack { get; init; } = 1;
    [Field(QuantityKind.Number, 0, 100000, Label = "Price")] public double Price { get; init; }
    [Field(QuantityKind.Count, 0, 250, Label = "Working days to come", Help = "at worst; empty is usual", Optional = true)] public int? LeadDays { get; init; }
    [Ask("Priced on", Date = true)] public string Date { get; init; } = "";
}

/// <summary>How a tool that the firm does not own comes to the site.</summary>
public enum ToolWay { [Called("whichever costs less")] Least, [Called("hired")] Hired, [Called("bought")] Bought }

/// <summary>A tool that the firm would hire or buy.</summary>
public sealed record ToolCostDesign : DesignPart
{
    [Ask("Tool", Options = "tools")] public string Tool { get; init; } = "vacuum-pump";
    [Field(QuantityKind.Number, 0, 100000, Label = "Hire for a day", Optional = true)] public double? DayPrice { get; init; }
    [Field(QuantityKind.Number, 0, 100000, Label = "To buy", Optional = true)] public double? Price { get; init; }
    [Field(QuantityKind.Count, 1, 1000, Label = "Jobs that share the buying", Help = "1 lays it all on this job")] public int Jobs { get; init; } = 10;
    [Ask("It is")] public ToolWay Way { get; init; } = ToolWay.Least;
}

/// <summary>A line of the take-off changed by hand.</summary>
public sealed record TakeOffChange : DesignPart
{
    [Ask("Item", Options = "bought")] public string Item { get; init; } = "sealant";
    [Ask("It is not bought")] public bool Struck { get; init; }
    [Field(QuantityKind.Number, 0, 100000, Label = "Bought instead", Optional = true)] public double? Quantity { get; init; }
    [Ask("Why", Longest = 200)] public string Why { get; init; } = "";
}

/// <summary>How the price is made.</summary>
public sealed record QuoteDesign : DesignPart
{
    [Ask("Currency", Longest = 3)] public string Currency { get; init; } = "EUR";
    [Field(QuantityKind.Hours, 0, 200, Label = "Travel and set-up")] public double TravelH { get; init; } = 1.5;
    [Field(QuantityKind.Number, 0, 1000, Label = "an hour of it costs")] public double TravelRateH { get; init; } = 38;
    [Field(QuantityKind.Number, 0, 100000, Label = "Way there and back")] public double Travel { get; init; }
    [Field(QuantityKind.Number, 0, 100000, Label = "Permit, waste and the rest")] public double Other { get; init; }
    [Field(QuantityKind.Fraction, 0, 0.5, Label = "For what is not seen")] public double Contingency { get; init; } = 0.05;
    [Field(QuantityKind.Fraction, 0, 0.9, Label = "Margin", Help = "a share of the price")] public double Margin { get; init; } = 0.25;
    [Field(QuantityKind.Fraction, 0, 0.9, Label = "Discount")] public double Discount { get; init; }
    [Field(QuantityKind.Fraction, 0, 0.3, Label = "Tax")] public double Tax { get; init; } = 0.19;
    [Field(QuantityKind.Fraction, 0, 1, Label = "Deposit")] public double Deposit { get; init; } = 0.3;
    [Field(QuantityKind.Count, 7, 90, Label = "Holds for days")] public int ValidDays { get; init; } = 30;
}

/// <summary>How and when it is built, by whom, with what.</summary>
public sealed record PlanDesign : DesignPart
{
    public const int MostCrew = 6;

    /// <summary>The same with one more in the crew.</summary>
    public PlanDesign Joined(CrewDesign person) => this with { Crew = [.. Crew, person] };

    public MethodDesign Method { get; init; } = new();
    [Ask("Crew", Most = MostCrew)]
    public IReadOnlyList<CrewDesign> Crew { get; init; } = [new(), new() { Name = "owner", Licence = Licence.None, Helper = true,
        RateH = 0 }];
    public WhenDesign When { get; init; } = new();
    [Ask("Rain and wind", Most = 30)] public IReadOnlyList<OutlookDesign> Outlook { get; init; } = [];
    [Ask("Own steps", Most = 20)] public IReadOnlyList<OwnStepDesign> Own { get; init; } = [];
    [Ask("Prices", Most = 200)] public IReadOnlyList<PriceDesign> Prices { get; init; } = [];
    [Ask("Tools hired or bought", Most = 40)] public IReadOnlyList<ToolCostDesign> ToolCosts { get; init; } = [];
    [Ask("Changed by hand", Most = 80)] public IReadOnlyList<TakeOffChange> Changes { get; init; } = [];
    public QuoteDesign Quote { get; init; } = new();
}
