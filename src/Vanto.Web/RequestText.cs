using System.Text;

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
}
