using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Load;

/// <summary>Causes of heat, in the order they are stacked.</summary>
public enum Cause { Roof, Walls, Floor, GlassConduction, GlassSun, Air, People, Appliances, DampAir, DampPeople, DampAppliances }

/// <summary>Cooling load of the design day: watts by hour (24, hour 1 is 00 to 01) and by cause.</summary>
public sealed class LoadDay
{
    /// <summary>Watts by cause and hour.</summary>
    public double[][] ByCause { get; } = [.. Enum.GetValues<Cause>().Select(_ => new double[24])];

    /// <summary>Sensible watts by hour.</summary>
    public double[] SensibleW { get; } = new double[24];

    /// <summary>Latent watts by hour.</summary>
    public double[] LatentW { get; } = new double[24];

    /// <summary>Index of the hour with the largest total, 0 to 23.</summary>
    public int PeakHour { get; internal set; }

    /// <summary>Sensible and latent together by hour.</summary>
    public double Total(int hour) => SensibleW[hour] + LatentW[hour];

    /// <summary>Largest hourly total, W.</summary>
    public double PeakW => Total(PeakHour);

    /// <summary>Sensible share at the peak.</summary>
    public double PeakSensibleShare => SensibleW[PeakHour] / PeakW;

    /// <summary>Heat of the day, Wh; hours that need heating count as they are.</summary>
    public double DayWh => Enumerable.Range(0, 24).Sum(Total);

    /// <summary>Window with the most sun at the peak hour: index and watts; −1 without windows.</summary>
    public (int Index, double Watts) SunniestWindow { get; internal set; } = (-1, 0);
}

/// <summary>The cooling load of a design day by the heat-balance model, the day repeated until no node moves by 0.01 K.</summary>
public static class DesignCoolingLoad
{
    private const int MostDays = 60;
    private const double SettledK = 0.01;

    /// <summary>Solves the day.</summary>
    /// <param name="space">The space.</param>
    /// <param name="day">Weather at the middle of equal steps.</param>
    /// <exception cref="InputException">The day does not settle in 60 repeats.</exception>
    public static (LoadDay Load, ThermalSpace Settled) Solve(SpaceDescription space, WeatherMoment[] day) => Solve(space, SpaceDrivers.Build(space, day));

    /// <summary>Solves the day from drivers already prepared.</summary>
    /// <param name="space">The space.</param>
    /// <param name="drivers">What drives it, by step.</param>
    /// <exception cref="InputException">The day does not settle in 60 repeats.</exception>
    public static (LoadDay Load, ThermalSpace Settled) Solve(SpaceDescription space, SpaceDrivers drivers)
    {
        var model = new ThermalSpace(space);
        model.Prepare(86400.0 / drivers.Steps);
        model.Rest(drivers, space.SetpointC);
        var nodes = new double[model.NodeCount];
        model.SwapSnapshot(nodes);
        var sources = new MassResponse(model, drivers);
        for (var repeat = 0; repeat < MostDays; repeat++)
        {
            for (var step = 0; step < drivers.Steps; step++)
                Advance(space, drivers, model, sources, step);
            if (model.SwapSnapshot(nodes) <= SettledK && sources.Settled(SettledK))
                return (Record(space, drivers, model, sources), model);
        }
        throw new InputException("space", "", "the design day does not settle within 60 repeats: check the masses of the skin and the contents");
    }

    private static double Advance(SpaceDescription space, SpaceDrivers drivers, ThermalSpace model, MassResponse sources, int step)
    {
        var (convective, radiant) = drivers.GainSplit(step);
        model.Begin(drivers.At(step), drivers.OutdoorC[step], convective, radiant);
        var heat = model.HubA * space.SetpointC - model.HubB;
        model.End(space.SetpointC);
        sources.Advance(GainShares.SunRadiant * drivers.GlassSunW[step], GainShares.PeopleRadiant * drivers.PeopleW[step], drivers.ApplianceRadiantW[step]);
        return -heat;
    }

    private static LoadDay Record(SpaceDescription space, SpaceDrivers drivers, ThermalSpace model, MassResponse sources)
    {
        var load = new LoadDay();
        var perHour = drivers.Steps / 24;
        var exchange = space.InfiltrationKgS * MoistAir.VaporisationJPerKg;
        for (var step = 0; step < drivers.Steps; step++)
        {
            var hour = step / perHour;
            load.SensibleW[hour] += Advance(space, drivers, model, sources, step) / perHour;
            var drive = drivers.At(step);
            for (var i = 0; i < space.Faces.Count; i++)
                load.ByCause[(int)CauseOf(space.Faces[i].Kind)][hour] += model.Flow(i, drive[i]) / perHour;
            for (var i = 0; i < space.Windows.Count; i++)
                load.ByCause[(int)Cause.GlassConduction][hour] += model.Flow(space.Faces.Count + i, drive[space.Faces.Count + i]) / perHour;
            Add(Cause.GlassSun, GainShares.SunConvective * drivers.GlassSunW[step] + sources.SunW);
            Add(Cause.People, GainShares.PeopleConvective * drivers.PeopleW[step] + sources.PeopleW);
            Add(Cause.Appliances, drivers.ApplianceConvectiveW[step] + sources.ApplianceW);
            Add(Cause.Air, model.Infiltration * (drivers.OutdoorC[step] - space.SetpointC));
            Add(Cause.DampAir, exchange * (drivers.OutdoorRatio[step] - space.SetpointRatio));
            Add(Cause.DampPeople, drivers.PeopleLatentW[step]);
            Add(Cause.DampAppliances, drivers.ApplianceLatentW[step]);
            var latentStep = exchange * (drivers.OutdoorRatio[step] - space.SetpointRatio) + drivers.PeopleLatentW[step] + drivers.ApplianceLatentW[step];
            load.LatentW[hour] += Math.Max(0, latentStep) / perHour;

            void Add(Cause cause, double watts) => load.ByCause[(int)cause][hour] += watts / perHour;
        }
        load.PeakHour = Enumerable.Range(0, 24).MaxBy(load.Total);
        load.SunniestWindow = Sunniest(space, drivers, load.PeakHour * perHour, (load.PeakHour + 1) * perHour);
        if (load.SunniestWindow.Index < 0)
            load.SunniestWindow = Sunniest(space, drivers, 0, drivers.Steps); // the peak comes after sunset, from what the day left in the contents
        return load;
    }

    /// <summary>The window that lets in most sun from a step to another, and its mean W there; index −1 where none does.</summary>
    private static (int, double) Sunniest(SpaceDescription space, SpaceDrivers drivers, int from, int to)
    {
        var count = space.Windows.Count;
        var best = (-1, 0.0);
        for (var window = 0; window < count; window++)
        {
            var mean = 0.0;
            for (var step = from; step < to; step++)
                mean += drivers.WindowSunW[step * count + window] / (to - from);
            if (mean > best.Item2)
                best = (window, mean);
        }
        return best;
    }

    private static Cause CauseOf(FaceKind kind) => kind switch
    {
        FaceKind.Roof => Cause.Roof,
        FaceKind.Wall => Cause.Walls,
        _ => Cause.Floor,
    };

    /// <summary>How the contents pass on the radiant gains, source by source; with the air held this is exact.</summary>
    private sealed class MassResponse(ThermalSpace model, SpaceDrivers drivers)
    {
        private readonly double _keep = model.MassCapacity * drivers.Steps / 86400;
        private readonly double _denominator = model.MassCapacity * drivers.Steps / 86400 + model.MassCoupling;
        private double _sun = GainShares.SunRadiant * drivers.GlassSunW.Average() / model.MassCoupling, _people =
            GainShares.PeopleRadiant * drivers.PeopleW.Average() / model.MassCoupling, _appliance = drivers.ApplianceRadiantW.Average() / model.MassCoupling;
        private double _sunBefore, _peopleBefore, _applianceBefore;

        public double SunW => model.MassCoupling * _sun;
        public double PeopleW => model.MassCoupling * _people;
        public double ApplianceW => model.MassCoupling * _appliance;

        public void Advance(double sun, double people, double appliance)
        {
            _sun = (_keep * _sun + sun) / _denominator;
            _people = (_keep * _people + people) / _denominator;
            _appliance = (_keep * _appliance + appliance) / _denominator;
        }

        public bool Settled(double tolerance)
        {
            var settled = Math.Abs(_sun - _sunBefore) <= tolerance && Math.Abs(_people - _peopleBefore) <= tolerance
                && Math.Abs(_appliance - _applianceBefore) <= tolerance;
            (_sunBefore, _peopleBefore, _applianceBefore) = (_sun, _people, _appliance);
            return settled;
        }
    }
}
