using Vanto.Core.Load;

namespace Vanto.Core.Energy;

/// <summary>Days one after another that a kit must stand.</summary>
/// <param name="Id">design, hot, cloudy, dark, each alone or with "-aged".</param>
/// <param name="Words">In words.</param>
/// <param name="Count">How many.</param>
/// <param name="Day">The rig's day that repeats.</param>
/// <param name="Aged">With an aged bank.</param>
/// <param name="Sunless">The modules give nothing.</param>
internal sealed record SizingDays(string Id, string Words, int Count, RigDay Day, bool Aged, bool Sunless)
{
    private const double HotterK = 3;
    private const double CloudySun = 0.35;

    /// <summary>The days that the aim asks for, the design day first.</summary>
    public static List<SizingDays> Of(EnergyInputs inputs)
    {
        var sizing = inputs.Energy.Sizing;
        var day = inputs.Day ?? RigDay.Of(inputs.Survey, inputs.Load).Day;
        var list = new List<SizingDays> { new("design", "the design day", 1, day, false, false) };
        if (sizing.HotDays)
        {
            var place = inputs.Survey.Place;
            var hot = RigDay.Of(inputs.Survey with { Place = place with { DryBulbC = place.DryBulbC + HotterK, NightLowC = place.NightLowC + HotterK } }, inputs.Load).Day;
            list.Add(new("hot", $"{Days(sizing.Days)} 3 K hotter", sizing.Days, hot, false, false));
        }
        if (sizing.CloudyDays)
            list.Add(new("cloudy", $"{Days(sizing.Days)} with 35 % of the sun", sizing.Days, day.UnderCloud(CloudySun), false, false));
        if (sizing.DarkDays > 0)
            list.Add(new("dark", $"{Days(sizing.DarkDays)} without sun on the modules", sizing.DarkDays, day, false, true));
        return sizing.Aged ? [.. list.SelectMany(s => new[] { s, s with { Id = s.Id + "-aged", Words = s.Words + ", aged bank", Aged = true } })] : list;
    }

    private static string Days(int count) => count == 1 ? "a day" : $"{count} days";
}

/// <summary>What holds in all days asked: by generator, set-point, modules and batteries.</summary>
internal sealed record Held(bool[][][][] Maps)
{
    /// <summary>The map of one generator at one set-point.</summary>
    public bool[][] At(int generator, int hold) => Maps[generator][hold];

    /// <summary>Whether any kit holds at a set-point.</summary>
    public bool Any(int hold) => Maps.Any(byHold => byHold[hold].Any(column => column.Any(c => c)));
}
