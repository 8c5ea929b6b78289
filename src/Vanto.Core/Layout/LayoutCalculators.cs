using Vanto.Core.Calculators;
using Vanto.Core.Findings;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using static Vanto.Core.Quantities.QuantityKind;

namespace Vanto.Core.Layout;

/// <summary>Inputs of <see cref="LayoutCalculators.Region"/>.</summary>
public sealed record HeadRegionInput : DesignPart
{
    [Field(Length, 0.3, 30, Label = "Wall, width")] public double WallM { get; init; } = 3.6;
    [Field(Length, 0.5, 10, Label = "Ceiling")] public double CeilingM { get; init; } = 2.75;
    [Field(SmallLength, 0.3, 2, Label = "Head, width")] public double HeadM { get; init; } = 0.8;
    [Field(SmallLength, 0.15, 0.6, Label = "height")] public double HighM { get; init; } = 0.29;
    [Field(SmallLength, 0, 1, Label = "Free at each side")] public double BesideM { get; init; } = 0.127;
    [Field(SmallLength, 0, 1, Label = "Free above")] public double AboveM { get; init; } = 0.152;
    [Field(Length, 0, 4, Label = "Its lower edge at least so high")] public double LeastUpM { get; init; } = 2.286;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Hole"/>.</summary>
public sealed record WallHoleInput : DesignPart
{
    [Field(SmallLength, 0.001, 1, Label = "Wall, thickness")] public double ThicknessM { get; init; } = 0.11;
    [Field(SmallLength, -0.1, 0.1, Label = "Falls to the outside by")] public double FallM { get; init; } = 0.0127;
    [Field(SmallLength, 0.02, 0.15, Label = "Hole, across")] public double HoleM { get; init; } = 0.065;
    [Field(Length, 0, 10, Label = "Plate's lower edge above the floor")] public double PlateUpM { get; init; } = 2.3;
    [Field(SmallLength, -0.2, 0.5, Label = "Middle of the hole above it")] public double UpM { get; init; } = 0.045;
    [Field(SmallLength, 0, 0.1, Label = "Sleeve stands proud, both ends")] public double ProudM { get; init; } = 0.010;
    [Field(SmallLength, -30, 30, Label = "Hole right of the corner, inside", Help = "left of it with a minus")] public double RightM { get; init; } = -0.412;
    [Field(SmallLength, -10, 10, Label = "and above it")] public double CornerUpM { get; init; } = 0.655;
    [Field(SmallLength, 0, 0.02, Label = "A mark is sure to")] public double TapeM { get; init; } = 0.002;
    [Field(Degrees, 0, 10, Label = "A pilot leans by")] public double LeanDeg { get; init; } = 2;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Bundle"/>.</summary>
public sealed record BundleInput : DesignPart
{
    [Field(SmallLength, 0.003, 0.12, Label = "First, across")] public double FirstM { get; init; } = 0.02435;
    [Field(SmallLength, 0.003, 0.12, Label = "Second")] public double SecondM { get; init; } = 0.02752;
    [Field(SmallLength, 0.003, 0.12, Label = "Third", Optional = true)] public double? ThirdM { get; init; } = 0.020;
    [Field(SmallLength, 0.003, 0.12, Label = "Fourth", Optional = true)] public double? FourthM { get; init; } = 0.010;
    [Field(SmallLength, 0.003, 0.12, Label = "Fifth", Optional = true)] public double? FifthM { get; init; }
    [Field(SmallLength, 0, 0.03, Label = "To pull it through")] public double PullM { get; init; } = 0.006;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Route"/>.</summary>
public sealed record RouteInput : DesignPart
{
    [Field(Length, 0, 30, Label = "Out through the wall")] public double OutM { get; init; } = 0.25;
    [Field(Length, 0, 30, Label = "down")] public double DownM { get; init; } = 1.69;
    [Field(Length, 0, 30, Label = "along")] public double AlongM { get; init; } = 0.9;
    [Field(Length, 0, 30, Label = "and out again to the unit")] public double LastM { get; init; } = 0.35;
    [Field(SmallLength, 0.005, 1, Label = "Radius of its bends")] public double RadiusM { get; init; } = 0.102;
    [Field(SmallLength, 0, 3, Label = "Tails and loop")] public double TailsM { get; init; } = 0.4;
    [Field(Fraction, 0, 0.15, Label = "Measuring may miss")] public double Allowance { get; init; } = 0.03;
    [Field(SmallLength, 0.01, 0.2, Label = "Bundle, across")] public double BundleM { get; init; } = 0.055;
    [Field(Length, 0.1, 5, Label = "Free width for a coil")] public double RoomM { get; init; } = 0.5;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Drain"/>.</summary>
public sealed record DrainInput : DesignPart
{
    [Field(SmallLength, 0.001, 30, Label = "First piece, level run")] public double FirstRunM { get; init; } = 0.6;
    [Field(SmallLength, -5, 10, Label = "it falls by")] public double FirstFallM { get; init; } = 0.04;
    [Field(SmallLength, 0.001, 30, Label = "Second piece, to the side")] public double SecondRunM { get; init; } = 0.4;
    [Field(SmallLength, -5, 10, Label = "it falls by")] public double SecondFallM { get; init; } = 0.02;
    [Field(SmallLength, 0, 10, Label = "then straight down")] public double DropM { get; init; } = 0.34;
    [Field(Degrees, 0, 30, Label = "Parked fore and aft by")] public double PitchDeg { get; init; } = 3;
    [Field(Degrees, 0, 30, Label = "and sideways by")] public double RollDeg { get; init; } = 3;
    [Field(Length, 0.1, 3, Label = "Tray, length")] public double TrayM { get; init; } = 0.7;
    [Field(Degrees, 0, 5, Label = "it slopes to its outlet by")] public double TrayDeg { get; init; } = 1;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Pump"/>.</summary>
public sealed record CondensatePumpInput : DesignPart
{
    [Field(Power, 0, 20000, Label = "Moisture taken out, as heat")] public double LatentW { get; init; } = 880;
    [Field(Temperature, 5, 50, Label = "Room")] public double RoomC { get; init; } = 26.7;
    [Field(Temperature, 1, 20, Label = "Coil")] public double CoilC { get; init; } = 10;
    [Field(Number, 0.5, 2000, Label = "Pump gives at no lift, L/h")] public double FreeLh { get; init; } = 12;
    [Field(Length, 0.1, 30, Label = "Pump lifts at most")] public double HeadM { get; init; } = 10;
    [Field(Length, 0, 15, Label = "It must lift")] public double LiftM { get; init; } = 1.5;
    [Field(Length, 0, 40, Label = "Its hose")] public double RunM { get; init; } = 8;
    [Field(SmallLength, 0.003, 0.02, Label = "inside")] public double InsideM { get; init; } = 0.006;
    [Field(Number, 0.01, 20, Label = "Between its switches, L")] public double Litres { get; init; } = 0.08;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Heard"/>.</summary>
public sealed record SoundInput : DesignPart
{
    [Field(Number, 10, 110, Label = "At one metre, dB(A)")] public double Db { get; init; } = 58;
    [Field(Length, 0.3, 500, Label = "Distance")] public double DistanceM { get; init; } = 5;
    [Field(Count, 0, 2, Label = "Walls beside it")] public int Walls { get; init; }
    [Field(Number, 0, 60, Label = "A wall between takes away, dB")] public double WallDb { get; init; }
}

/// <summary>Inputs of <see cref="LayoutCalculators.Gasket"/>.</summary>
public sealed record GasketInput : DesignPart
{
    [Field(SmallLength, 0.01, 0.06, Label = "Gasket, free")] public double FreeM { get; init; } = 0.0254;
    [Field(SmallLength, 0.003, 0.059, Label = "pressed to")] public double PressedM { get; init; } = 0.0127;
    [Field(SmallLength, 0.1, 1, Label = "Across the gasket")] public double AcrossM { get; init; } = 0.4;
    [Field(Length, 0.5, 100, Label = "Roof is curved, radius", Optional = true)] public double? RadiusM { get; init; } = 2;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Charge"/>.</summary>
public sealed record RoomChargeInput : DesignPart
{
    [Field(Mass, 0.01, 20, Label = "Charge")] public double ChargeKg { get; init; } = 0.6;
    [Ask("Refrigerant")] public RefrigerantKind Kind { get; init; } = RefrigerantKind.R32;
    [Field(Length, 0.3, 4, Label = "Height of the head")] public double HeightM { get; init; } = 1.8;
    [Field(Area, 1, 500, Label = "Floor")] public double FloorM2 { get; init; } = 6;
    [Field(Volume, 2, 2000, Label = "Free volume")] public double AirM3 { get; init; } = 12;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Disconnect"/>.</summary>
public sealed record DisconnectInput : DesignPart
{
    [Field(Length, 0, 40, Label = "Disconnect along the wall")] public double AtM { get; init; } = 1.6;
    [Field(SmallLength, 0.05, 0.5, Label = "its width")] public double WideM { get; init; } = 0.13;
    [Field(Length, 0.2, 40, Label = "The wall ends at")] public double WallM { get; init; } = 2.2;
    [Field(Length, 0, 40, Label = "Unit stands before it from")] public double FromM { get; init; } = 0.6;
    [Field(Length, 0, 40, Label = "to")] public double ToM { get; init; } = 1.4;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Hazard"/>.</summary>
public sealed record DrillHazardInput : DesignPart
{
    [Field(SmallLength, 0.001, 1, Label = "Wall, thickness")] public double ThicknessM { get; init; } = 0.11;
    [Field(SmallLength, -0.1, 0.1, Label = "Falls to the outside by")] public double FallM { get; init; } = 0.0127;
    [Field(SmallLength, 0.02, 0.15, Label = "Hole, across")] public double HoleM { get; init; } = 0.065;
    [Field(Length, 0, 10, Label = "Middle of the hole, from the left")] public double AcrossM { get; init; } = 1;
    [Field(Length, 0, 10, Label = "and up, inside")] public double UpM { get; init; } = 2.345;
    [Ask("What is behind")] public ThingKind Kind { get; init; } = ThingKind.Cable;
    [Field(Length, 0, 30, Label = "It reaches from")] public double LeftM { get; init; } = 1.08;
    [Field(SmallLength, 0.001, 10, Label = "so far to the right")] public double WideM { get; init; } = 0.02;
    [Field(Length, 0, 10, Label = "from its lower edge")] public double LowM { get; init; }
    [Field(Length, 0.001, 10, Label = "up by")] public double HighM { get; init; } = 2.6;
    [Field(SmallLength, 0, 1, Label = "It begins so deep in the wall")] public double FromDepthM { get; init; } = 0.02;
    [Field(SmallLength, 0, 1, Label = "and ends at")] public double ToDepthM { get; init; } = 0.04;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Room"/>.</summary>
public sealed record OutdoorRoomInput : DesignPart
{
    [Field(SmallLength, 0.1, 1, Label = "Unit, depth")] public double DepthM { get; init; } = 0.3;
    [Field(SmallLength, 0.2, 1.5, Label = "width")] public double WidthM { get; init; } = 0.8;
    [Field(SmallLength, 0.2, 2, Label = "height")] public double HeightM { get; init; } = 0.55;
    [Field(SmallLength, 0, 3, Label = "Off the wall behind it")] public double OffM { get; init; } = 0.15;
    [Field(Length, 0, 20, Label = "Wall ahead of it, from its face", Optional = true)] public double? AheadM { get; init; } = 1.2;
    [Field(Length, 0, 20, Label = "Wall at its right", Help = "as one stands before its fan", Optional = true)] public double? RightM { get; init; }
    [Field(Length, 0, 20, Label = "at its left", Optional = true)] public double? LeftM { get; init; }
    [Field(Length, 0, 20, Label = "Roof above its top", Optional = true)] public double? AboveM { get; init; } = 0.8;
    [Field(SmallLength, 0, 5, Label = "Manual wants ahead")] public double WantsAheadM { get; init; } = 0.6;
    [Field(SmallLength, 0, 5, Label = "behind")] public double WantsBehindM { get; init; } = 0.10;
    [Field(SmallLength, 0, 5, Label = "at its sides")] public double WantsBesideM { get; init; } = 0.30;
    [Field(SmallLength, 0, 5, Label = "above")] public double WantsAboveM { get; init; } = 0.5;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Pair"/>.</summary>
public sealed record UnitPairInput : DesignPart
{
    [Field(Length, -30, 30, Label = "Second stands to the right by")] public double RightM { get; init; } = 2;
    [Field(Length, -30, 30, Label = "and further out by")] public double OutM { get; init; }
    [Field(Degrees, -180, 360, Label = "First blows", Help = "0 to the right, 90 away from the wall")] public double FirstDeg { get; init; }
    [Field(Degrees, -180, 360, Label = "Second blows")] public double SecondDeg { get; init; } = 180;
}

/// <summary>Inputs of <see cref="LayoutCalculators.Template"/>.</summary>
public sealed record TemplateInput : DesignPart
{
    [Field(SmallLength, 0.05, 3, Label = "Template, wide")] public double WideM { get; init; } = 0.8;
    [Field(SmallLength, 0.05, 3, Label = "high")] public double HighM { get; init; } = 0.285;
    [Ask("Paper")] public TemplatePaper Paper { get; init; } = TemplatePaper.A4;
    [Field(SmallLength, 0.09, 0.11, Label = "The 100 mm bar measures")] public double BarM { get; init; } = 0.1;
}

/// <summary>Where things go, for the Bench and the API.</summary>
public static class LayoutCalculators
{
    /// <summary>Where a head may hang.</summary>
    [Calculator("head-region", "Where a head may hang", "Whether there is a place for it at all", CitationIds = [nameof(Citations.Trade)])]
    public static CalculationResult Region(HeadRegionInput i)
    {
        var region = HeadRegion.Of(i.WallM, [(0, i.CeilingM), (i.WallM, i.CeilingM)], i.HeadM, i.HighM,
            new HeadNeeds(i.BesideM, i.BesideM, i.AboveM, 0, i.LeastUpM), []);
        var result = new ResultBuilder().Step("A", "Places of its corner", "Σ allowed rectangles", $"{region.Cells.Count} rectangles", region.AreaM2,
            Area, Citations.Geometry);
        if (region.Cells.Count > 0)
            result.Step("y", "Lower edge, at most", "ceiling − free above − height", $"{i.CeilingM} − {i.AboveM} − {i.HighM}",
                region.Cells.Max(c => c.High),
                Length, Citations.Trade);
        return result.Done();
    }

    /// <summary>A hole through a wall and its place outside.</summary>
    [Calculator("wall-hole", "Hole through a wall", "How the drill leans, how long the sleeve is, whether daylight shows, where it comes out",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Trade)])]
    public static CalculationResult Hole(WallHoleInput i)
    {
        var hole = WallHole.Of(i.ThicknessM, i.FallM, i.HoleM, i.PlateUpM, i.UpM, i.HoleM, i.ProudM);
        var outside = DrillTransfer.Of(i.RightM, i.CornerUpM, i.FallM);
        return new ResultBuilder()
            .Step("θ", "Drill leans down by", "atan(F/t)", $"{i.FallM}/{i.ThicknessM}", hole.FallDeg, Degrees, Citations.Geometry)
            .Step("L_s", "Sleeve", "t/cos θ + D·tan θ + proud", $"axis {hole.AxisM:0.####} m", hole.SleeveM, SmallLength, Citations.Geometry)
            .Step("δ", "Covered below the hole", "v − D/(2·cos θ)", $"{i.UpM} − {hole.ShownM / 2:0.#####}", hole.DaylightM, SmallLength, Citations.Trade)
            .Step("dx′", "Outside, to the right", "−dx", $"{i.RightM}", outside.RightM, SmallLength, Citations.Geometry)
            .Step("dy′", "Outside, up", "dy − F", $"{i.CornerUpM} − {i.FallM}", outside.UpM, SmallLength, Citations.Geometry)
            .Step("u", "Sure to", "√(2·e² + (t·tan lean)²)", $"{i.TapeM} m, {i.LeanDeg}°",
                DrillTransfer.Uncertainty(i.TapeM, i.ThicknessM, i.LeanDeg), SmallLength, Citations.Geometry)
            .Done();
    }

    /// <summary>The smallest hole for a bundle.</summary>
    [Calculator("bundle", "Bundle through a hole", "The smallest hole that pipes, hose and cable pass together", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Bundle(BundleInput i)
    {
        var across = new[] { i.FirstM, i.SecondM, i.ThirdM ?? 0, i.FourthM ?? 0, i.FifthM ?? 0 }.Where(d => d > 0).ToList();
        var bundle = BundlePacking.Enclosing(across);
        return new ResultBuilder()
            .Step("D", "Bundle, across", "smallest circle round all, by bisection", $"{across.Count} things", bundle, SmallLength, Citations.Geometry)
            .Step("D_h", "Hole, at least", "D + tape + pull", $"{bundle:0.####} + {LayoutStation.Tape} + {i.PullM}", bundle + LayoutStation.Tape + i.PullM,
                SmallLength, Citations.Trade)
            .Done();
    }

    /// <summary>A pipe round corners and the set for it.</summary>
    [Calculator("line-route", "Pipe round corners", "How long the pipe really is, which set to order, where its slack goes",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Trade)])]
    public static CalculationResult Route(RouteInput i)
    {
        var points = new List<RoutePoint> { new(0, 0, 0) };
        void Go(double x, double y, double z)
        {
            if (Math.Abs(x) + Math.Abs(y) + Math.Abs(z) > 0.001)
                points.Add(new RoutePoint(points[^1].X + x, points[^1].Y + y, points[^1].Z + z));
        }

        Go(i.OutM, 0, 0);
        Go(0, 0, -i.DownM);
        Go(0, i.AlongM, 0);
        Go(i.LastM, 0, 0);
        if (points.Count < 2)
            throw new InputException("outM", "0", "The route has no length: type at least one piece of it.");
        var route = LineRoute.Develop(points, i.RadiusM);
        var kit = KitLength.Choose(route.DevelopedM, i.TailsM, i.Allowance);
        var result = new ResultBuilder()
            .Step("L", "Pipe", "Σ straight pieces + Σ R·θ", $"{route.Bends.Count} bends, corner to corner {route.CornerM:0.###} m", route.DevelopedM,
                Length,
                Citations.Geometry)
            .Step("N", "With tails and what measuring may miss", "(L + tails)·(1 + p)", $"{route.DevelopedM:0.###} + {i.TailsM}", kit.OrderM, Length,
                Citations.Trade);
        if (route.Missing is { } missing)
            result.Words("fault", "Bends", FormattableString.Invariant($"piece {missing.Piece + 1} is {1000 * missing.MissingM:0} mm too short for its bends"));
        if (kit.KitM is not { } sold)
            return result.Words("kit", "Set", "none that is sold reaches").Done();
        var slack = SlackStowage.Of(sold - kit.NeedM, i.BundleM, i.RadiusM, i.RoomM);
        return result.Step("kit", "Set to take", "shortest that is long enough", $"{string.Join(", ", KitLength.Sold)} m", sold, Length, Citations.Trade)
            .Step("s", "Slack", "set − need", $"{sold} − {kit.NeedM:0.###}", sold - kit.NeedM, Length, Citations.Geometry)
            .Step("n", "Turns of a flat coil", "least that fits the width", $"{i.RoomM} m", slack.Turns, Count, Citations.Geometry).Done();
    }

    /// <summary>A drain as parked.</summary>
    [Calculator("drain-fall", "Drain on a slope", "Whether the water still runs away where the vehicle is parked", CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Drain(DrainInput i)
    {
        RoutePoint[] points =
        [
            new(0, 0, 0), new(-i.FirstRunM, 0, -i.FirstFallM), new(-i.FirstRunM, i.SecondRunM, -i.FirstFallM - i.SecondFallM),
            new(-i.FirstRunM, i.SecondRunM, -i.FirstFallM - i.SecondFallM - i.DropM),
        ];
        if (i.DropM < 0.001)
            points = points[..3];
        var (fall, pitch, roll, piece) = DrainRoute.Worst(points, i.PitchDeg, i.RollDeg);
        return new ResultBuilder()
            .Step("f", "Flattest fall", "least over nine ways of standing", $"piece {piece + 1}, {pitch}° and {roll}°", Math.Clamp(fall, -1e6, 1e6) / 100,
                Fraction, Citations.Geometry)
            .Step("h", "Water at the far end of the tray", "L·tan(tilt − β)", $"{i.TrayM} m",
                DrainRoute.PoolM(i.TrayM, Math.Max(i.PitchDeg, i.RollDeg), i.TrayDeg), SmallLength, Citations.Geometry)
            .Done();
    }

    /// <summary>Condensate and its pump.</summary>
    [Calculator("condensate-pump", "Condensate and its pump", "How much water comes, and whether the pump carries it up",
        CitationIds = [nameof(Citations.Psychrometrics), nameof(Citations.Trade)])]
    public static CalculationResult Pump(CondensatePumpInput i)
    {
        var comes = CondensateRate.FromLatent(i.LatentW, i.RoomC, i.CoilC);
        var pump = CondensatePump.Of(i.FreeLh, i.HeadM, i.LiftM, i.RunM, i.InsideM);
        var result = new ResultBuilder()
            .Step("ṁ", "Water, L/h", "3600·Q_L/((2501 + 1.86·t − 4.186·t_c)·1000)", $"{i.LatentW} W", comes, Number, Citations.Psychrometrics)
            .Step("Q", "Pumped, L/h", "(H_0 − H)/(H_0/Q_0 + R)", $"Re {pump.Reynolds:0}", pump.FlowLh, Number, Citations.Trade);
        if (pump.FlowLh > comes && comes > 0)
            result.Step("n", "Starts an hour", "3600/(V/q + V/(Q − q))", $"{i.Litres} L", PumpCycle.Of(i.Litres, comes, pump.FlowLh).AnHour, Number,
                Citations.Arithmetic);
        return result.Done();
    }

    /// <summary>Room at a disconnect.</summary>
    [Calculator("disconnect-room", "Room at the disconnect", "Whether a person can work at it when it matters", CitationIds = [nameof(Citations.WorkingSpace)])]
    public static CalculationResult Disconnect(DisconnectInput i)
    {
        var room = DisconnectRoom.Of(i.AtM, i.WideM, i.WallM, i.ToM > i.FromM ? [(i.FromM, i.ToM)] : []);
        return room.Behind ? new ResultBuilder().Words("room", "It stands", "behind the unit: nobody reaches it").Done()
            : new ResultBuilder().Step("b", "Free wall round it", "left + its width + right", $"{i.AtM} m of {i.WallM} m", room.FreeM, SmallLength,
                Citations.WorkingSpace)
            .Step("d", "More than is asked", "b − 0.762", $"by {DisconnectRoom.DeepM} m deep", room.FreeM - DisconnectRoom.WideM, SmallLength,
                Citations.WorkingSpace).Done();
    }

    /// <summary>Sheets of a template.</summary>
    [Calculator("drill-template", "Drill template over sheets", "How many sheets it takes, and at which scale it is printed again",
        CitationIds = [nameof(Citations.Geometry)])]
    public static CalculationResult Template(TemplateInput i)
    {
        var tiles = TemplateTiles.Of(1000 * i.WideM, 1000 * i.HighM, i.Paper);
        return new ResultBuilder()
            .Step("n", "Sheets", "⌈(S − o)/(u − o)⌉ each way", $"{tiles.Columns} across, {tiles.Rows} up", tiles.Columns * tiles.Rows, Count,
                Citations.Geometry)
            .Words("way", "Laid", tiles.Landscape ? "on their sides" : "upright")
            .Step("k", "Print again at", "100/b", $"{1000 * i.BarM:0.#} mm", TemplateTiles.Rescale(1000 * i.BarM), Fraction, Citations.Geometry).Done();
    }

    /// <summary>Sound at a distance.</summary>
    [Calculator("sound-distance", "Sound at a distance", "What is heard at the pillow or next door", CitationIds = [nameof(Citations.SoundNight)])]
    public static CalculationResult Heard(SoundInput i) => new ResultBuilder()
        .Step("L", "There, dB(A)", "L_1 + 3·walls − 20·lg r − wall", $"{i.Db} dB(A), {i.DistanceM} m",
            Sound.At(Sound.Beside(i.Db, i.Walls), i.DistanceM) - i.WallDb, Number, Citations.SoundNight).Done();

    /// <summary>A gasket on a curved roof.</summary>
    [Calculator("roof-gasket", "Gasket on a curved roof", "Whether a rooftop unit's gasket seals on the crown and at its edge",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Trade)])]
    public static CalculationResult Gasket(GasketInput i)
    {
        var opening = RooftopOpening.Of(i.FreeM, i.PressedM, i.AcrossM, i.RadiusM);
        return new ResultBuilder()
            .Step("s", "Roof falls away by", "w²/(8·R)", $"{i.AcrossM} m", opening.SagM, SmallLength, Citations.Geometry)
            .Step("c_hi", "Pressed on the crown", "1 − g/g_0", $"{i.PressedM}/{i.FreeM}", opening.CrownShare, Fraction, Citations.Trade)
            .Step("c_lo", "Pressed at its edge", "1 − (g + s)/g_0", $"{opening.SagM:0.####} m", opening.EdgeShare, Fraction, Citations.Trade).Done();
    }

    /// <summary>A charge in a space.</summary>
    [Calculator("room-charge", "Charge and the space", "Whether so much flammable refrigerant may be there", CitationIds = [nameof(Citations.RoomCharge)])]
    public static CalculationResult Charge(RoomChargeInput i)
    {
        if (RoomCharge.Of(i.ChargeKg, i.Kind, i.HeightM, i.FloorM2, i.AirM3) is not { } room)
            return new ResultBuilder().Words("kind", "It", "does not burn; other limits hold").Done();
        return new ResultBuilder()
            .Step("m_1", "Free of any least area", "k·LFL", $"{Calls.Name(i.Kind)}", room.FreeKg, Mass, Citations.RoomCharge)
            .Step("m_max", "Most for this floor", "2.5·LFL^1.25·h_0·√A", $"{i.HeightM} m, {i.FloorM2} m²", room.MostKg, Mass, Citations.RoomCharge)
            .Step("A_min", "Floor that it needs", "(m/(2.5·LFL^1.25·h_0))²", $"{i.ChargeKg} kg", room.LeastM2, Area, Citations.RoomCharge)
            .Step("f", "All of it let out, of what burns", "m/(V·LFL)", $"{i.AirM3} m³", room.Mixed, Fraction, Citations.RoomCharge).Done();
    }

    /// <summary>How near a drill passes by what is behind the wall.</summary>
    [Calculator("drill-hazard", "What the drill meets", "How near a leaning drill passes by a cable, a pipe or a rib inside the wall",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Trade)])]
    public static CalculationResult Hazard(DrillHazardInput i)
    {
        if (i.ToDepthM < i.FromDepthM)
            throw new InputException("toDepthM", $"{i.ToDepthM}", $"It cannot end at {i.ToDepthM} m where it begins {i.FromDepthM} m deep.");
        var hole = WallHole.Of(i.ThicknessM, i.FallM, i.HoleM, i.UpM, 0, i.HoleM, 0);
        var clear = DrillHazards.Clear(hole, i.AcrossM, i.ThicknessM, i.HoleM,
            new Hidden("it", i.LeftM, i.LeftM + i.WideM, i.LowM, i.LowM + i.HighM, i.FromDepthM, i.ToDepthM));
        var need = WallSetting.DrillMargin(i.Kind);
        return new ResultBuilder()
            .Step("a", "Clear of the hole's edge", "distance of the leaning axis to its outline − D/(2·cos θ)", $"hole {i.AcrossM}, {i.UpM} m", clear,
                SmallLength, Citations.Geometry)
            .Step("a_min", "Wanted", "by kind", $"{Calls.Name(i.Kind)}", need, SmallLength, Citations.Trade)
            .Words("", "So", clear < 0 ? "the drill meets it: another place" : clear < need ? "too near: another place, or look and feel first" : "passes")
            .Done();
    }

    /// <summary>Room round an outdoor unit.</summary>
    [Calculator("outdoor-room", "Room round the outdoor unit", "Free space at each of its faces against what it usually needs",
        CitationIds = [nameof(Citations.Geometry), nameof(Citations.Trade)])]
    public static CalculationResult Room(OutdoorRoomInput i)
    {
        const double far = 50;
        var (front, side) = (i.DepthM / 2, i.WidthM / 2);
        var around = new List<Box> { new(-front - i.OffM - 1, -far, -far, -front - i.OffM, far, far) };
        if (i.AheadM is { } ahead)
            around.Add(new Box(front + ahead, -far, -far, front + ahead + 1, far, far));
        if (i.RightM is { } right)
            around.Add(new Box(-far, side + right, -far, far, side + right + 1, far));
        if (i.LeftM is { } left)
            around.Add(new Box(-far, -side - left - 1, -far, far, -side - left, far));
        if (i.AboveM is { } above)
            around.Add(new Box(-far, -far, i.HeightM + above, far, far, i.HeightM + above + 1));
        var room = OutdoorRoom.Of(i.DepthM, i.WidthM, i.HeightM, 0, 0, 0, 0, around);
        var result = new ResultBuilder();
        foreach (var (sign, label, gap, need) in new[]
        {
            ("front", "Where it blows", room.FrontM, i.WantsAheadM), ("back", "Behind it", room.BackM, i.WantsBehindM),
            ("right", "At its right", room.RightM, i.WantsBesideM), ("left", "At its left", room.LeftM, i.WantsBesideM),
            ("top", "Above it", room.TopM, i.WantsAboveM),
        })
            if (double.IsPositiveInfinity(gap))
                result.Words(sign, label, "nothing stands there");
            else
                result.Step(sign, label, "nearest face of what stands over against it", $"{need} m wanted{(gap < need ? ": too little" : "")}", gap,
                    SmallLength, Citations.Geometry);
        return result.Done();
    }

    /// <summary>Two outdoor units.</summary>
    [Calculator("unit-pair", "Two outdoor units", "Whether one blows its heat into the other", CitationIds = [nameof(Citations.Geometry),
        nameof(Citations.Trade)])]
    public static CalculationResult Pair(UnitPairInput i)
    {
        var apart = Math.Sqrt(i.RightM * i.RightM + i.OutM * i.OutM);
        return new ResultBuilder()
            .Step("d", "Apart", "√(Δx² + Δy²)", $"{i.RightM}, {i.OutM}", apart, Length, Citations.Geometry)
            .Words("", "So", UnitPair.Of(0, 0, i.FirstDeg, i.RightM, i.OutM, i.SecondDeg) switch
            {
                UnitPair.Standing.FaceToFace => "they blow at one another: turn one of them",
                UnitPair.Standing.FirstIntoSecond => "the first blows into the second: turn or move it",
                UnitPair.Standing.SecondIntoFirst => "the second blows into the first: turn or move it",
                _ => "neither minds the other",
            })
            .Done();
    }
}
