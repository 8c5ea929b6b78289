using Vanto.Core.Findings;
using Vanto.Core.Supply;
using Vanto.Core.Survey;
using Vanto.Core.Unit;

namespace Vanto.Core.Start;

/// <summary>A start run over the corners of what is not known of it.</summary>
/// <param name="Cases">Corners run.</param>
/// <param name="Starts">Corners in which it starts and runs on.</param>
/// <param name="Words">In how many it starts.</param>
/// <param name="Settles">The one fact that would tell; null where all corners end alike.</param>
public sealed record StartCorners(int Cases, int Starts, Phrase Words, Phrase? Settles)
{
    /// <summary>How far the typical values lie from what a unit turns out to be, either way: common practice.</summary>
    private const double TimeApart = 0.40, LockedRotorApart = 0.10;

    /// <summary>The same of what a source bears.</summary>
    public const double BearingApart = 0.20;

    /// <summary>A bank on a cold morning, K under what was said; common practice.</summary>
    private const double ColderK = 15;

    private enum Unknown { StartTime, LockedRotor, Bearing }

    /// <summary>True where it starts in every corner.</summary>
    public bool InAll => Starts == Cases;

    /// <summary>What there is to say of them, or null.</summary>
    public Finding? Judge() => InAll ? null : Finding.Of(FindingCode.StartUnsure, Severity.Caution,
        $"The verdict hangs on values that are typical, not known of this unit and source: it starts {Words}. {Settles ?? Phrase.Of($"")}");

    /// <summary>Runs the corners: start time and locked-rotor current unless they were measured, what the source bears unless its maker says it.</summary>
    /// <param name="start">The start as asked, without what must be shed for it.</param>
    /// <param name="survey">The rig.</param>
    /// <param name="design">How it is to start.</param>
    /// <param name="unit">The unit, with its motor as measured where it was.</param>
    /// <param name="peakMeasured">Its highest current was measured.</param>
    /// <param name="timeMeasured">How long it lasts was measured.</param>
    public static StartCorners Of(StartCase start, SurveyDesign survey, StartDesign design, AcUnit unit, bool peakMeasured, bool timeMeasured) =>
        Of(start, (lraFactor, timeFactor) => StartStation.Motor(unit with
        {
            StartTimeS = unit.StartTimeS * timeFactor,
            LraA = Math.Max(AcUnit.LeastLockedRotor * unit.RlaA, unit.LockedRotorA * lraFactor),
        }, 1), Source(start, survey, design, -1), Source(start, survey, design, 1), peakMeasured, timeMeasured);

    /// <summary>The same of any start.</summary>
    /// <param name="start">The start as asked.</param>
    /// <param name="motor">Its motor by factors of its locked-rotor current and its start time.</param>
    /// <param name="weak">The source where it bears less than is typical.</param>
    /// <param name="strong">The source where it bears more.</param>
    /// <param name="peakMeasured">The motor's highest current was measured.</param>
    /// <param name="timeMeasured">How long its start lasts was measured.</param>
    public static StartCorners Of(StartCase start, Func<double, double, MotorModel> motor, PowerSource weak, PowerSource strong, bool peakMeasured = false,
        bool timeMeasured = false)
    {
        var unknown = new List<Unknown>();
        if (!timeMeasured)
            unknown.Add(Unknown.StartTime);
        if (!peakMeasured)
            unknown.Add(Unknown.LockedRotor);
        if (start.Source.Curve is not null)
            unknown.Add(Unknown.Bearing);
        var cases = 1 << unknown.Count;
        var starts = new bool[cases];
        // Bit k of a corner says whether its k-th unknown lies on the hard side.
        bool Hard(int corner, Unknown what) => unknown.IndexOf(what) is >= 0 and var k && (corner >> k & 1) == 1;
        double Apart(int corner, Unknown what, double by) => unknown.Contains(what) ? 1 + (Hard(corner, what) ? by : -by) : 1;
        Parallel.For(0, cases, corner => starts[corner] = StartSimulation.Starts(start with
        {
            Motor = motor(Apart(corner, Unknown.LockedRotor, LockedRotorApart), Apart(corner, Unknown.StartTime, TimeApart)),
            Source = !unknown.Contains(Unknown.Bearing) ? start.Source : Hard(corner, Unknown.Bearing) ? weak : strong,
        }));
        var count = starts.Count(s => s);
        var telling = unknown.Select(u => (What: u, Apart: Enumerable.Range(0, cases).Sum(c => starts[c] ? Hard(c, u) ? -1 : 1 : 0)))
            .OrderByDescending(u => Math.Abs(u.Apart)).FirstOrDefault();
        return new StartCorners(cases, count, InWords(count, cases), count == cases || count == 0 ? null : Settling(telling.What, start.Source.Class));
    }

    private static PowerSource Source(StartCase start, SurveyDesign survey, StartDesign design, int way)
    {
        var source = start.Source;
        if (way < 0 && source.Dc is { } dc)
        {
            var battery = survey.Sources.Battery;
            source = source with
            {
                Dc = dc with
                {
                    Bank = SourceBuilder.Bank(battery with
                    {
                        TemperatureC = Math.Max(ColdestC,
                battery.TemperatureC - ColderK)
                    })
                }
            };
        }
        // What its maker says it bears is known.
        return design.On == SourceChoice.Inverter && survey.Sources.Inverter.Surge.Count > 0 ? source : source.Bearing(1 + way * BearingApart);
    }

    private const double ColdestC = -20;

    private static Phrase InWords(int starts, int cases) => starts == cases ? Phrase.Of($"in all {cases} cases")
        : starts == 0 ? Phrase.Of($"in none of {cases} cases") : Phrase.Of($"in {starts} of {cases} cases");

    private static Phrase Settling(Unknown what, SourceClass source) => what switch
    {
        Unknown.Bearing when source is SourceClass.InverterGenerator or SourceClass.ConventionalGenerator =>
            Phrase.Of($"Try it on this generator, or ask its maker what it bears for half a second."),
        Unknown.Bearing => Phrase.Of($"Type the surge rating of the inverter's maker in Survey."),
        _ => Phrase.Of($"Measure the start once on shore: highest current and how long it lasts."),
    };
}
