using System.Text;
using Vanto.Core.Findings;
using Vanto.Core.Job;
using Vanto.Core.Physics;
using Vanto.Storage;

namespace Vanto.Web;

/// <summary>The year that a rig is run through: its weather file, or weather made of its months.</summary>
public static class RigWeather
{
    /// <summary>The weather and what it is called.</summary>
    /// <exception cref="InputException">The file is not in the store, or there are no months.</exception>
    public static async Task<(WeatherYear Year, string Called)> Of(RigView view, RigLog log)
    {
        var climate = view.Design.Survey.Climate;
        if (climate.WeatherFile.Length == 0)
            return (SeasonRun.Made(view.Design.Survey), $"made from the months, seed {climate.Seed}");
        if (await File(view.Id, view.Design, log) is not { } row)
            throw new InputException("survey.climate.weatherFile", climate.WeatherFile, "The weather file of this rig is not in the store; read it in again.");
        return (Read(row), row.Name);
    }

    /// <summary>The year in a weather file that is kept.</summary>
    public static WeatherYear Read(AttachmentRow file) => EpwFile.Read(Encoding.UTF8.GetString(file.Content)).Year;

    /// <summary>The weather file that a design names, as kept with a rig; null where there is none.</summary>
    public static async Task<AttachmentRow?> File(Guid rig, JobDesign design, RigLog log) =>
        Guid.TryParse(design.Survey.Climate.WeatherFile.Split(' ')[0], out var file) ? await log.Attachment(rig, file) : null;

    /// <summary>How a design names its weather file.</summary>
    public static string Named(Guid file, string name) => $"{file} {name}";
}
