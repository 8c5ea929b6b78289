using Vanto.Core.Energy;
using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Job;

/// <summary>
/// What a person does to a rig in one go, as edits of its design: options kept and taken, strings, the order of shedding, the weather's place.
/// </summary>
public static class Proposals
{
    private const int MonthsAYear = 12;

    /// <summary>Keeps the design as it stands as an option.</summary>
    /// <exception cref="InputException">No name, or one that an option has already.</exception>
    public static DesignEdit KeepOption(JobDesign design, string name)
    {
        var called = name.Trim();
        if (called.Length == 0)
            throw new InputException("name", name, "Give the option a name.");
        if (design.Options.Any(o => o.Name == called))
            throw new InputException("name", called, $"An option is called \"{called}\" already.");
        var option =
            OptionDesign.Of(design, called);
        return DesignEdit.OfWhole(design, d => d with { Options = [.. d.Options, option] });
    }

    /// <summary>Makes an option the design.</summary>
    /// <exception cref="InputException">No option is called so.</exception>
    public static DesignEdit AdoptOption(JobDesign design, string name) => DesignEdit.OfWhole(design, Option(design, name).In);

    /// <summary>Leaves an option out.</summary>
    /// <exception cref="InputException">No option is called so.</exception>
    public static DesignEdit DropOption(JobDesign design, string name)
    {
        var left = Option(design, name);
        return DesignEdit.OfWhole(design, d => d with { Options = [.. d.Options.Where(o => o != left)], Baseline = d.Baseline == name ? "" : d.Baseline });
    }

    /// <summary>Strings the array so.</summary>
    /// <param name="design">The design.</param>
    /// <param name="series">Modules in a string.</param>
    /// <param name="parallel">Strings.</param>
    public static DesignEdit Strings(JobDesign design, int series, int parallel) => ArrayFindings.Strings(design.Survey, series, parallel);

    /// <summary>Sheds a device one place earlier; one that went after the unit goes last before it. What goes before the unit gets its number.</summary>
    /// <param name="design">The design.</param>
    /// <param name="row">Row of the device in the survey.</param>
    /// <exception cref="InputException">That device is not among those that may wait.</exception>
    public static DesignEdit ShedEarlier(JobDesign design, int row)
    {
        var (before, after) = LimitedPower.Order(design.Survey);
        var order = before.Select(d => d.Row).ToList();
        var at = order.IndexOf(row);
        if (at < 0 && after.All(d => d.Row != row))
            throw new InputException("row", $"{row}", $"Device {row} is not among those that may wait.");
        if (at > 0)
            (order[at - 1], order[at]) = (order[at], order[at - 1]);
        else if (at < 0)
            order.Add(row);
        return DesignEdit.Of(design.Survey, s => s with
        {
            Devices = [.. s.Devices.Select((d, i) => order.IndexOf(i) is >= 0 and var rank ? d with { ShedRank = rank + 1 } : d)],
        });
    }

    /// <summary>Takes place and design day from a weather file.</summary>
    public static DesignEdit PlaceOf(JobDesign design, WeatherPlace place, WeatherDesignDay day) => DesignEdit.Of(design.Survey, s => s with
    {
        Place = s.Place with
        {
            Name = place.Name,
            LatitudeDeg = place.LatitudeDeg,
            LongitudeDeg = place.LongitudeDeg,
            UtcOffsetH = place.UtcOffsetH,
            ElevationM = place.ElevationM,
            DryBulbC = day.HottestC,
            NightLowC = day.NightC,
        },
        Climate = s.Climate with { WinterC = day.ColdestC },
    });

    /// <summary>Twelve months of climate to be typed over.</summary>
    public static DesignEdit BeginMonths(JobDesign design) =>
        DesignEdit.Of(design.Survey, s => s with { Climate = s.Climate with { Months = [.. Enumerable.Repeat(new MonthClimate(), MonthsAYear)] } });

    /// <summary>Looks at a week of the weather in the stretch.</summary>
    public static DesignEdit LookAt(JobDesign design, int month, int day) =>
        DesignEdit.Of(design.Energy, e => e with { Stretch = e.Stretch with { Month = month, Day = day, Days = EnergyStretch.WeekDays } });

    private static OptionDesign Option(JobDesign design, string name) =>
        design.Options.FirstOrDefault(o => o.Name == name) ?? throw new InputException("name", name, $"No option of this rig is called \"{name}\".");
}
