using System.Text;
using System.Text.Json;

namespace Vanto.Web;

/// <summary>Text of a request's body: files that a person reads in.</summary>
public static class RequestText
{
    /// <summary>Reads it whole; a byte order mark is left out.</summary>
    /// <exception cref="BadHttpRequestException">It is larger than the address takes, or breaks off.</exception>
    public static async Task<string> Read(HttpRequest request)
    {
        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        return await reader.ReadToEndAsync(request.HttpContext.RequestAborted);
    }

    /// <summary>Reads a body in JSON where the address states its shape apart from its handler's.</summary>
    /// <exception cref="BadHttpRequestException">It is no JSON, or JSON of another shape.</exception>
    public static async Task<T> Json<T>(HttpRequest request)
    {
        if (!request.HasJsonContentType())
            throw new BadHttpRequestException("The body is no JSON.", StatusCodes.Status415UnsupportedMediaType);
        try
        {
            return await request.ReadFromJsonAsync<T>(request.HttpContext.RequestAborted) ?? throw new BadHttpRequestException("no body was provided");
        }
        catch (JsonException e)
        {
            throw new BadHttpRequestException(e.Message, StatusCodes.Status400BadRequest, e);
        }
    }
}
