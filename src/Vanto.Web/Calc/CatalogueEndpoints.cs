using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Physics;
using Vanto.Core.Quantities;
using Vanto.Core.Survey;
using Vanto.Core.Unit;
using Vanto.Web.Crew;

namespace Vanto.Web.Calc;

/// <summary>A unit of measure: inside value = value × factor + offset.</summary>
public sealed record UnitOfMeasureView(string Symbol, double Factor, double Offset, int Decimals, IReadOnlyList<string> Aliases);

/// <summary>A quantity with the unit its values have in JSON, those it is shown in, and all that may be typed.</summary>
public sealed record QuantityOfMeasureView(QuantityKind Kind, string Name, string Inside, string Metric, string Customary,
    IReadOnlyList<UnitOfMeasureView> Units);

/// <summary>Everything that a field may name by its id. Generic classes of typical size; common practice.</summary>
public sealed record CatalogueView(
    IReadOnlyList<AcUnit> Units, IReadOnlyList<SkinPreset> Skins, IReadOnlyList<Material> Materials, IReadOnlyList<Paint> Paints,
    IReadOnlyList<Glazing> Glazings,
    IReadOnlyList<WindowCover> Covers, IReadOnlyList<SourceEntry> Sources);

/// <summary>Units of measure and catalogues, for programs that use the API.</summary>
public static class CatalogueEndpoints
{
    private static readonly CatalogueView All = new(
        UnitCatalogue.All, SurveyCatalogue.Skins, Materials.All, SurveyCatalogue.Paints, SurveyCatalogue.Glazings, SurveyCatalogue.Covers, SourceCatalogue.All);

    private static readonly IReadOnlyList<QuantityOfMeasureView> Quantities =
        [.. QuantityTable.All.Select(q => new QuantityOfMeasureView(q.Kind, q.Name, q.InsideSymbol, q.Metric.Symbol, q.Customary.Symbol,
            [.. q.All.Select(u => new UnitOfMeasureView(u.Symbol, u.Factor, u.Offset, u.Decimals, u.Aliases))]))];

    /// <summary>Maps <c>GET /api/units</c> and <c>GET /api/catalogues</c>.</summary>
    public static void MapCatalogues(this RouteGroupBuilder api)
    {
        api.MapGet("/units", Ok<IReadOnlyList<QuantityOfMeasureView>> () => TypedResults.Ok(Quantities)).WithTags("catalogues")
            .Needs(CrewRight.Read, Reach.Common);
        api.MapGet("/catalogues", Ok<CatalogueView> () => TypedResults.Ok(All)).WithTags("catalogues").Needs(CrewRight.Read, Reach.Common);
    }
}
