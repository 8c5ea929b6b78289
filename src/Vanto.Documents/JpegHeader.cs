using System.Buffers.Binary;

namespace Vanto.Documents;

/// <summary>What the header of a JPEG says of its size, without decoding it (ITU-T T.81, B.2.2: frame header).</summary>
public static class JpegHeader
{
    private const byte Marker = 0xFF, FirstFrame = 0xC0, LastFrame = 0xCF, Huffman = 0xC4, Extension = 0xC8, Arithmetic = 0xCC, Scan = 0xDA;

    /// <summary>Width and height in dots; nothing where no frame header stands before the first scan.</summary>
    public static (int Width, int Height)? Sides(ReadOnlySpan<byte> content)
    {
        for (var at = 2; at + 9 <= content.Length;)
        {
            if (content[at] != Marker)
                return null;
            var marker = content[at + 1];
            if (marker == Marker)
            {
                at++;
                continue;
            }
            if (marker is >= FirstFrame and <= LastFrame and not (Huffman or Extension or Arithmetic))
                return (BinaryPrimitives.ReadUInt16BigEndian(content[(at + 7)..]), BinaryPrimitives.ReadUInt16BigEndian(content[(at + 5)..]));
            if (marker == Scan)
                return null;
            at += 2 + BinaryPrimitives.ReadUInt16BigEndian(content[(at + 2)..]);
        }
        return null;
    }
}
