using Vanto.Core.Quantities;

namespace Vanto.Core.Mount;

/// <summary>The lightest profiles that pass in every case.</summary>
/// <param name="Arm">For arms or rails; nothing where none passes.</param>
/// <param name="Strut">For struts or legs; nothing where none passes or none is needed.</param>
/// <param name="MassKg">Of the mount with both.</param>
/// <param name="Short">What comes nearest to passing, where nothing does.</param>
public sealed record LightestMount(Profile? Arm, Profile? Strut, double MassKg, MountPart? Short)
{
    /// <summary>Both in words; empty where none passes.</summary>
    public string Words => MassKg <= 0 || Arm is not { } arm ? ""
        : Strut is { } strut && strut != arm ? $"{Calls.Name(arm)} and {Calls.Name(strut)}" : Calls.Name(arm);

    /// <summary>All profiles, the lightest first.</summary>
    public static IReadOnlyList<Profile> ByWeight { get; } =
        [.. Enum.GetValues<Profile>().OrderBy(p => ProfileFigures.Of(p).Section.AreaMm2).ThenBy(p => ProfileFigures.Of(p).HighMm)];

    private static readonly MountElement[] OfArm = [MountElement.Arm, MountElement.Weld, MountElement.Rail];
    private static readonly MountElement[] OfStrut = [MountElement.Strut, MountElement.Leg];

    /// <summary>Arms and struts are judged each by their own parts and their weights add, so the lightest of each is the lightest of both.</summary>
    public static LightestMount Of(MountSetting s, IReadOnlyList<LoadCase> cases)
    {
        MountPart? missing = null;
        Profile? Best(MountElement[] own, Func<Profile, MountSetting> with, Func<MountSetting, bool> keeps)
        {
            MountPart? nearest = null;
            foreach (var profile in ByWeight)
            {
                var setting = with(profile);
                var worst = MountFrame.Judge(setting, cases).FirstOrDefault(p => own.Contains(p.Element));
                if (worst is null || worst.Used <= 1 && keeps(setting))
                    return profile;
                if (nearest is null || worst.Used < nearest.Used)
                    nearest = worst;
            }
            missing ??= nearest;
            return null;
        }

        var arm = Best(OfArm, p => s with { Design = s.Design with { Frame = s.Design.Frame.Of(p) } }, m => Deflection.Of(m).Keeps);
        var needs = s.Kind is MountKind.Braced or MountKind.DeckStand or MountKind.Cradle;
        Profile? strut = !needs ? null : Best(OfStrut, p => s with { Design = s.Design with { Frame = s.Design.Frame with { Strut = p } } }, _ => true);
        var mass = arm is null || needs && strut is null ? 0
            : CutList.Of(s with { Design = s.Design with { Frame = s.Design.Frame with { Arm = arm.Value, Strut = strut ?? s.Design.Frame.Strut } } },
                false).MassKg;
        return new LightestMount(arm, strut, mass, missing);
    }
}

/// <summary>How far an arm gives under the unit's weight alone.</summary>
/// <param name="TipM">At its end, m.</param>
/// <param name="LimitM">What it may, m.</param>
/// <param name="StiffnessNm">Of the mount under the unit, N/m; infinite where nothing bends.</param>
public sealed record Deflection(double TipM, double LimitM, double StiffnessNm)
{
    private const double ArmPart = 150;
    private const double SpanPart = 200;

    /// <summary>It keeps its limit.</summary>
    public bool Keeps => TipM <= LimitM + 1e-12;

    /// <summary>Of a mount.</summary>
    public static Deflection Of(MountSetting s)
    {
        var weight = s.MassKg * Gravity.Standard;
        var (rear, front) = s.FeetAt;
        var (e, i) = (s.Metal.ElasticGPa, s.Arm.Section.IxMm4);
        switch (s.Kind)
        {
            case MountKind.Plain:
                BeamLoad[] feet = [new(weight / 4, rear), new(weight / 4, front)];
                var length = Math.Max(s.Design.Frame.ArmM, front);
                var tip = Beam.TipM(feet, length, e, i);
                return new Deflection(tip, length / ArmPart, weight / Math.Max(tip, 1e-9));
            case MountKind.Braced:
                var over = Math.Max(front, s.Design.Frame.ArmM) - s.Design.Frame.StrutOutM;
                var beyond = over <= 0 || front <= s.Design.Frame.StrutOutM ? 0
                    : Beam.TipM([new(weight / 4, front - s.Design.Frame.StrutOutM)], over, e, i);
                var shortens = StrutGives(s, weight);
                return new Deflection(beyond + shortens, Math.Max(s.Design.Frame.ArmM, 0.1) / ArmPart, weight / Math.Max(beyond + shortens, 1e-9));
            case MountKind.RoofFrame or MountKind.DeckStand or MountKind.Cradle:
                var span = s.Design.Frame.BaseWideM;
                var inset = Math.Clamp((span - s.FeetWideM) / 2, 0, span / 2);
                var middle = inset <= 0 ? 0 : Beam.SpanM([new(weight / 4, inset), new(weight / 4, span - inset)], span, e, i, span / 2);
                return new Deflection(middle, span / SpanPart, middle <= 0 ? double.PositiveInfinity : weight / middle);
            default:
                return new Deflection(0, 1, double.PositiveInfinity);
        }
    }

    /// <summary>The outer end sinks as the strut is pressed shorter.</summary>
    private static double StrutGives(MountSetting s, double weight)
    {
        var f = s.Design.Frame;
        var (rear, front) = s.FeetAt;
        var arm = BracedArm.Of([new(weight / 4, rear), new(weight / 4, front)], f.StrutOutM, f.StrutDownM);
        var shorter = arm.StrutN * arm.StrutM / (s.Metal.ElasticGPa * 1e9 * s.Strut.Section.AreaMm2 * 1e-6);
        return shorter / Math.Sin(arm.StrutDeg * Math.PI / 180) * Math.Max(1, front / f.StrutOutM);
    }
}
