using Microsoft.AspNetCore.Http.HttpResults;
using Vanto.Core.Crew;
using Vanto.Core.Instruments;
using Vanto.Web.Crew;

namespace Vanto.Web.Instruments;

/// <summary>An answer to a practice case.</summary>
public sealed record PracticeAnswer(HiddenFault Fault);

/// <summary>Practice for the hardest judgements of the proof; what a case hides is told only for an answer.</summary>
public static class PracticeEndpoints
{
    /// <summary>Maps them under <c>/api/calc/practice</c>: they belong to no rig.</summary>
    public static void MapPractice(this RouteGroupBuilder api)
    {
        api.MapGet("/calc/practice/{number:int}", Ok<PracticeCase> (int number) => TypedResults.Ok(ProofPractice.Of(number))).WithTags("practice")
            .Needs(CrewRight.Read, Reach.Common);
        api.MapPost("/calc/practice/{number:int}", Ok<PracticeVerdict> (int number, PracticeAnswer answer) =>
            TypedResults.Ok(ProofPractice.Judge(number, answer.Fault))).WithTags("practice").Needs(CrewRight.Read, Reach.Common);
    }
}
