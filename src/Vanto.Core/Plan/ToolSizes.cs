namespace Vanto.Core.Plan;

/// <summary>Tools whose size the job gives.</summary>
public static class ToolSizes
{
    /// <summary>Across the flats of a flare nut by the pipe's outside, mm; SAE J513 nuts as used with R-410A and R-32, from memory.</summary>
    private static readonly (double PipeM, int AcrossMm)[] Nuts = [(0.00635, 17), (0.009525, 22), (0.0127, 26), (0.015875, 29), (0.01905, 36)];

    private const double SamePipeM = 0.0008;

    /// <summary>A size in words; empty where the job gives none.</summary>
    public static string Of(string tool, PlanSetting s) => tool switch
    {
        "spanners-pair" or "crowfoot-set" or "torque-spanner" => string.Join(" and ",
            new[] { Nut(s.Sheet.Circuit.LiquidM), Nut(s.Sheet.Circuit.GasM) }.OfType<int>().Distinct().Select(n => $"{n} mm")),
        "flaring-tool" or "pipe-cutter" or "bending-spring" => string.Join(" and ", new[] { s.Sheet.Circuit.LiquidM, s.Sheet.Circuit.GasM }
            .OfType<double>().Select(m => FormattableString.Invariant($"{m * 1000:0.#} mm"))),
        "core-drill" when s.Placed.Wall is { } wall => FormattableString.Invariant($"{wall.HoleM * 1000:0} mm"),
        "nitrogen-set" when s.Sheet.Circuit.ProofPa is { } proof => FormattableString.Invariant($"at most {proof / 1e6:0.0} MPa"),
        _ => "",
    };

    private static int? Nut(double? pipeM) => pipeM is { } m && Nuts.FirstOrDefault(n => Math.Abs(n.PipeM - m) < SamePipeM) is { AcrossMm: > 0 } nut
        ? nut.AcrossMm : null;
}
