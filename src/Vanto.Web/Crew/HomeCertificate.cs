using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Vanto.Storage;

namespace Vanto.Web.Crew;

/// <summary>A certificate that this machine signs for itself, for its name and its addresses on the crew's network.</summary>
public static class HomeCertificate
{
    /// <summary>Phones take none that lasts longer; common practice.</summary>
    private const int Days = 397;

    private const int AnewDays = 30;

    /// <summary>The one in the file, or a new one where there is none, it ends soon, or an address is not in it.</summary>
    public static X509Certificate2 At(string file, IReadOnlyList<IPAddress> addresses, DateTimeOffset now)
    {
        if (File.Exists(file) && X509CertificateLoader.LoadPkcs12FromFile(file, null) is var kept)
        {
            if (kept.NotAfter.ToUniversalTime() > now.UtcDateTime.AddDays(AnewDays) && addresses.All(a => Names(kept).Contains(a)))
                return kept;
            kept.Dispose();
        }
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Vanto of this crew", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        names.AddDnsName(Dns.GetHostName());
        names.AddDnsName("localhost");
        foreach (var address in addresses)
            names.AddIpAddress(address);
        request.CertificateExtensions.Add(names.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature | X509KeyUsageFlags.KeyCertSign, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        using var made = request.CreateSelfSigned(now.AddDays(-1), now.AddDays(Days - 1));
        var bytes = made.Export(X509ContentType.Pfx);
        ClosedFile.Write(file, bytes);
        return X509CertificateLoader.LoadPkcs12(bytes, null);
    }

    private static HashSet<IPAddress> Names(X509Certificate2 certificate) =>
        [.. certificate.Extensions.OfType<X509SubjectAlternativeNameExtension>().SelectMany(e => e.EnumerateIPAddresses())];
}
