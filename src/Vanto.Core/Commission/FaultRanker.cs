using System.Text.Json;
using Vanto.Core.Findings;
using Vanto.Core.Quantities;

namespace Vanto.Core.Commission;

/// <summary>Who may make a test.</summary>
public enum FaultTester { [Called("anyone")] Any, [Called("an electrician")] Electrician, [Called("a refrigerant handler")] Certified }

/// <summary>An answer that an observation can have.</summary>
/// <param name="Share">How often it is the answer, whatever the cause.</param>
public sealed record FaultValue(string Id, string Words, double Share);

/// <summary>Something to look at.</summary>
/// <param name="Asks">The question.</param>
/// <param name="Why">What it tells.</param>
/// <param name="Minutes">It takes.</param>
/// <param name="Heats">Only where the unit heats too.</param>
public sealed record FaultObservation(string Id, string Asks, string Why, double Minutes, FaultTester Who, IReadOnlyList<FaultValue> Values,
    bool Heats = false);

/// <summary>A cause.</summary>
/// <param name="Fresh">Weight at a new fitting.</param>
/// <param name="InService">Weight in service.</param>
/// <param name="Confirm">The observation that confirms it before any part is changed.</param>
/// <param name="Given">Answers that it makes more or less likely.</param>
/// <param name="Heats">Only where the unit heats too.</param>
public sealed record FaultCause(string Id, string Name, double Fresh, double InService, string Confirm,
    IReadOnlyDictionary<string, IReadOnlyDictionary<string, double>> Given, bool Heats = false);

/// <summary>Causes and what they look like; expert judgement, no published source.</summary>
public sealed record FaultBook(int Version, string Source, IReadOnlyList<FaultObservation> Observations, IReadOnlyList<FaultCause> Causes)
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new System.Text.Json.Serialization.JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    /// <summary>The one that ships with Vanto.</summary>
    public static FaultBook Standard { get; } = Read();

    private static FaultBook Read()
    {
        using var stream = typeof(FaultBook).Assembly.GetManifestResourceStream("faults.json")!;
        return JsonSerializer.Deserialize<FaultBook>(stream, Json)!;
    }
}

/// <summary>A cause and how likely it is.</summary>
public sealed record RankedCause(FaultCause Cause, double Chance);

/// <summary>A test and what it would tell.</summary>
/// <param name="GainBits">By how much it narrows the causes, on average.</param>
public sealed record NextTest(FaultObservation Observation, double GainBits)
{
    /// <summary>Bits for each minute, two more for going there.</summary>
    public double Worth => GainBits / (Observation.Minutes + GoingMin);

    private const double GoingMin = 2;
}

/// <summary>Where a fault search stands.</summary>
/// <param name="Causes">The likeliest first; their chances sum to one.</param>
/// <param name="Tests">What has not been looked at, the most telling for its time first.</param>
/// <param name="EntropyBits">How much is open.</param>
/// <param name="Confirm">The test that confirms the first cause where it is likely enough; nothing otherwise.</param>
public sealed record FaultRanking(IReadOnlyList<RankedCause> Causes, IReadOnlyList<NextTest> Tests, double EntropyBits, FaultObservation? Confirm)
{
    /// <summary>No cause stands out.</summary>
    public bool Unclear => Causes[0].Chance < ClearFrom;

    private const double ClearFrom = 0.5;
}

/// <summary>Ranks causes by what is seen: naive Bayes over the answers given, the next test by what it tells for its minutes.</summary>
public static class FaultRanker
{
    /// <summary>No answer is ever quite impossible.</summary>
    private const double Floor = 0.005;

    private const double ConfirmFrom = 0.60;

    /// <summary>Ranks.</summary>
    /// <param name="answers">By observation; those that are missing are passed over.</param>
    /// <param name="inService">Else newly fitted.</param>
    /// <param name="heats">The unit heats too.</param>
    /// <param name="present">Who is there to make tests.</param>
    /// <exception cref="InputException">An observation or an answer that is not in the book.</exception>
    public static FaultRanking Rank(IReadOnlyDictionary<string, string> answers, bool inService, bool heats = false, IReadOnlySet<FaultTester>? present = null,
        FaultBook? book = null)
    {
        book ??= FaultBook.Standard;
        var causes = book.Causes.Where(c => heats || !c.Heats).ToList();
        var log = causes.Select(c => Math.Log(inService ? c.InService : c.Fresh)).ToArray();
        foreach (var (id, value) in answers)
        {
            var observation = book.Observations.FirstOrDefault(o => o.Id == id)
                ?? throw new InputException(id, value, $"there is no question {id}");
            var at = observation.Values.Select(v => v.Id).ToList().IndexOf(value);
            if (at < 0)
                throw new InputException(id, value, $"{id} is one of {string.Join(", ", observation.Values.Select(v => v.Id))}; got {value}");
            for (var i = 0; i < causes.Count; i++)
                log[i] += Math.Log(Of(causes[i], observation)[at]);
        }
        var most = log.Max();
        var chances = log.Select(l => Math.Exp(l - most)).ToArray();
        var sum = chances.Sum();
        for (var i = 0; i < chances.Length; i++)
            chances[i] /= sum;
        var open = book.Observations.Where(o => (heats || !o.Heats) && !answers.ContainsKey(o.Id)
            && (o.Who == FaultTester.Any || present?.Contains(o.Who) != false));
        var entropy = Entropy(chances);
        var tests = open.Select(o => new NextTest(o, Gain(causes, chances, o, entropy))).OrderByDescending(t => t.Worth).ToList();
        var ranked = causes.Select((c, i) => new RankedCause(c, chances[i])).OrderByDescending(r => r.Chance).ToList();
        var confirm = ranked[0].Chance >= ConfirmFrom && !answers.ContainsKey(ranked[0].Cause.Confirm)
            ? book.Observations.FirstOrDefault(o => o.Id == ranked[0].Cause.Confirm) : null;
        return new FaultRanking(ranked, tests, entropy, confirm);
    }

    /// <summary>How likely each answer is under a cause: as the cause says, the rest shared as usual.</summary>
    public static double[] Of(FaultCause cause, FaultObservation observation)
    {
        var given = cause.Given.GetValueOrDefault(observation.Id);
        var shares = observation.Values.Select(v => v.Share).ToArray();
        if (given is not null)
        {
            var left = 1 - given.Values.Sum();
            var usual = observation.Values.Where(v => !given.ContainsKey(v.Id)).Sum(v => v.Share);
            for (var i = 0; i < shares.Length; i++)
                shares[i] = given.TryGetValue(observation.Values[i].Id, out var own) ? own : usual > 0 ? left * shares[i] / usual : 0;
        }
        var sum = 0.0;
        for (var i = 0; i < shares.Length; i++)
            sum += shares[i] = Math.Max(Floor, shares[i]);
        for (var i = 0; i < shares.Length; i++)
            shares[i] /= sum;
        return shares;
    }

    private static double Gain(List<FaultCause> causes, double[] chances, FaultObservation o, double entropy)
    {
        var by = causes.Select(c => Of(c, o)).ToArray();
        var left = 0.0;
        for (var v = 0; v < o.Values.Count; v++)
        {
            var joint = new double[causes.Count];
            var sum = 0.0;
            for (var i = 0; i < joint.Length; i++)
                sum += joint[i] = chances[i] * by[i][v];
            for (var i = 0; i < joint.Length; i++)
                joint[i] /= sum;
            left += sum * Entropy(joint);
        }
        return Math.Max(0, entropy - left);
    }

    private static double Entropy(double[] chances) => -chances.Where(c => c > 0).Sum(c => c * Math.Log2(c));
}
