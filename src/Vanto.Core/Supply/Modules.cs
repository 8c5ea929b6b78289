using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>How modules are mounted; decides how hot the cells run.</summary>
public enum ModuleMounting
{
    [Called("on a frame, well cooled")] WellCooled,
    [Called("free standing")] FreeStanding,
    [Called("flat on a roof")] FlatOnRoof,
    [Called("on rails, little air behind")] LittleRearAir,
    [Called("glued to the roof")] Glued,
}

/// <summary>How the heat of the cells is found.</summary>
public enum CellModel
{
    [Called("from how they are mounted")] Mounting,
    [Called("from the NOCT on the plate")] Noct,
    [Called("from the wind, open rack")] Wind,
}

/// <summary>Cells and modules. Temperatures °C, irradiance W/m², power W.</summary>
public static class Modules
{
    /// <summary>Losses beside heat: soiling, mismatch, wiring, age, angle and spectrum together; common practice.</summary>
    public const double TypicalLosses = 0.88;

    /// <summary>Weight of a module with its rails, kg a watt; typical, common practice.</summary>
    public const double KgPerW = 0.052;

    /// <summary>Ross coefficient by mounting, K·m²/W (Nordmann and Clavadetscher 2003, from memory).</summary>
    public static double RossCoefficient(ModuleMounting mounting) => mounting switch
    {
        ModuleMounting.WellCooled => 0.0200,
        ModuleMounting.FreeStanding => 0.0208,
        ModuleMounting.FlatOnRoof => 0.0260,
        ModuleMounting.Glued => 0.0563,
        _ => 0.0342,
    };

    /// <summary>
    /// Kelvin of the cells above the air for each W/m²: by mounting; (NOCT − 20)/800 (IEC 61215 conditions); or 1/(25 + 6.84·v) (Faiman 2008, from
    /// memory).
    /// </summary>
    /// <param name="model">Which of the three.</param>
    /// <param name="mounting">How they are mounted.</param>
    /// <param name="noctC">Nominal operating cell temperature, °C.</param>
    /// <param name="windMs">Wind, m/s.</param>
    public static double CellRise(CellModel model, ModuleMounting mounting, double noctC, double windMs) => model switch
    {
        CellModel.Noct => (noctC - 20) / 800,
        CellModel.Wind => 1 / (25 + 6.84 * windMs),
        _ => RossCoefficient(mounting),
    };

    /// <summary>Power of an array before the charge controller.</summary>
    public static double Power(int count, double ratedW, double irradiance, double cellC, double gamma = -0.0034, double losses = TypicalLosses) =>
        Math.Max(0, count * ratedW * irradiance / 1000 * (1 + gamma * (cellC - 25)) * losses);
}
