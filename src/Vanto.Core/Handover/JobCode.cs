using Vanto.Core.Findings;

namespace Vanto.Core.Handover;

/// <summary>
/// The code of a job that a person can type: eight signs of 32 that cannot be confused, and a check character by ISO/IEC 7064 MOD 37,36 (published).
/// It is a name, no secret.
/// </summary>
public static class JobCode
{
    private const string Signs = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private const string CheckSigns = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";
    private const int Length = 8, BitsEach = 5;

    /// <summary>Signs without a check, of 5 bits each, the highest first.</summary>
    /// <param name="bits">As many bits as the signs take.</param>
    /// <param name="signs">How many.</param>
    public static string Spelled(UInt128 bits, int signs) =>
        string.Concat(Enumerable.Range(0, signs).Select(i => Signs[(int)(bits >> (BitsEach * (signs - 1 - i)) & 31)]));

    /// <summary>The code of 40 bits, or nothing where its check character could be misread; draw again then.</summary>
    public static string? Of(ulong bits)
    {
        var payload = Spelled(bits & 0xFF_FFFF_FFFF, Length);
        var check = Check(payload);
        return Signs.Contains(check, StringComparison.Ordinal) ? payload + check : null;
    }

    /// <summary>Check character of a text of letters and digits.</summary>
    public static char Check(string text)
    {
        const int base36 = 36;
        var p = base36;
        foreach (var sign in text)
        {
            p = (p + CheckSigns.IndexOf(sign, StringComparison.Ordinal)) % base36;
            p = 2 * (p == 0 ? base36 : p) % (base36 + 1);
        }
        return CheckSigns[(base36 + 1 - p) % base36];
    }

    /// <summary>In three groups, as it is printed.</summary>
    public static string Printed(string code) => $"{code[..4]}-{code[4..Length]}-{code[Length..]}";

    /// <summary>A code as somebody typed it.</summary>
    /// <exception cref="InputException">Wrong length, sign or check; it says which.</exception>
    public static string Read(string typed)
    {
        var code = new string([.. typed.ToUpperInvariant().Where(c => c is not (' ' or '-')).Select(c => c switch { 'I' or 'L' => '1', 'O' => '0', _ => c })]);
        if (code.Length != Length + 1)
            throw new InputException("code", typed, $"code: {Length + 1} signs, such as 7K3M-9QXA-Y; got {code.Length}");
        if (code.FirstOrDefault(c => !Signs.Contains(c, StringComparison.Ordinal)) is var wrong && wrong != default)
            throw new InputException("code", typed, $"code: \"{wrong}\" is no sign of a code");
        return Check(code[..Length]) == code[Length] ? code : throw new InputException("code", typed, "code: a sign is mistyped, its check does not fit");
    }
}
