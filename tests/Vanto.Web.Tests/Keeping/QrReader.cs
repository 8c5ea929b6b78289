using System.Text;

namespace Vanto.Web.Tests.Keeping;

/// <summary>
/// Reads a code of versions 1 to 6 at level Q, as a scanner would, from its dark modules: ISO/IEC 18004, from memory. It shares nothing with what draws
/// the codes.
/// </summary>
internal static class QrReader
{
    private const int LevelQ = 0b11, FormatMask = 0x5412;

    /// <summary>Data codewords of each block at level Q, and correction codewords of a block, by version.</summary>
    private static readonly (int[] Blocks, int Correction)[] LevelQBlocks =
        [([13], 13), ([22], 22), ([17, 17], 18), ([24, 24], 26), ([15, 15, 16, 16], 18), ([19, 19, 19, 19], 24)];

    /// <summary>Its text.</summary>
    /// <exception cref="InvalidDataException">It is no such code, or damaged.</exception>
    public static string Read(bool[,] dark)
    {
        var n = dark.GetLength(0);
        var version = (n - 17) / 4;
        if (n != 17 + 4 * version || version is < 1 or > 6)
            throw new InvalidDataException($"{n} modules are no version from 1 to 6");
        var format = 0;
        foreach (var (row, column) in FormatPlaces())
            format = 2 * format + (dark[row, column] ? 1 : 0);
        format ^= FormatMask;
        if (format >> 13 != LevelQ)
            throw new InvalidDataException($"level bits {format >> 13:b2} are not Q");
        var words = Words(dark, version, (format >> 10) & 7);
        return Text(Data(words, LevelQBlocks[version - 1]));
    }

    /// <summary>Bits of the format, the first first, along the upper left finder.</summary>
    private static IEnumerable<(int Row, int Column)> FormatPlaces()
    {
        foreach (var column in (int[])[0, 1, 2, 3, 4, 5, 7, 8])
            yield return (8, column);
        foreach (var row in (int[])[7, 5, 4, 3, 2, 1, 0])
            yield return (row, 8);
    }

    private static bool Function(int row, int column, int n, int version) =>
        row == 6 || column == 6 || row <= 8 && column <= 8 || row <= 8 && column >= n - 8 || row >= n - 8 && column <= 8
        || version > 1 && Math.Abs(row - (n - 7)) <= 2 && Math.Abs(column - (n - 7)) <= 2;

    private static bool Masked(int mask, int i, int j) => mask switch
    {
        0 => (i + j) % 2 == 0,
        1 => i % 2 == 0,
        2 => j % 3 == 0,
        3 => (i + j) % 3 == 0,
        4 => (i / 2 + j / 3) % 2 == 0,
        5 => i * j % 2 + i * j % 3 == 0,
        6 => (i * j % 2 + i * j % 3) % 2 == 0,
        _ => ((i + j) % 2 + i * j % 3) % 2 == 0,
    };

    private static List<byte> Words(bool[,] dark, int version, int mask)
    {
        var n = dark.GetLength(0);
        var bits = new List<bool>();
        var up = true;
        for (var right = n - 1; right > 0; right -= 2, up = !up)
        {
            if (right == 6)
                right--;
            for (var step = 0; step < n; step++)
            {
                var row = up ? n - 1 - step : step;
                foreach (var column in (int[])[right, right - 1])
                    if (!Function(row, column, n, version))
                        bits.Add(dark[row, column] ^ Masked(mask, row, column));
            }
        }
        return [.. bits.Chunk(8).Where(c => c.Length == 8).Select(c => c.Aggregate((byte)0, (word, bit) => (byte)(2 * word + (bit ? 1 : 0))))];
    }

    private static List<byte> Data(List<byte> words, (int[] Blocks, int Correction) layout)
    {
        var blocks = layout.Blocks.Select(_ => new List<byte>()).ToArray();
        var at = 0;
        for (var i = 0; i < layout.Blocks.Max(); i++)
            for (var b = 0; b < blocks.Length; b++)
                if (i < layout.Blocks[b])
                    blocks[b].Add(words[at++]);
        var data = blocks.SelectMany(b => b).ToList();
        for (var i = 0; i < layout.Correction; i++)
            foreach (var block in blocks)
                block.Add(words[at++]);
        if (blocks.Any(b => !Whole(b, layout.Correction)))
            throw new InvalidDataException("a block's check does not come out");
        return data;
    }

    /// <summary>True where a block is a multiple of the generator: Reed–Solomon over GF(256), 0x11D, first root 1.</summary>
    private static bool Whole(List<byte> block, int correction)
    {
        var root = 1;
        for (var k = 0; k < correction; k++, root = Times(root, 2))
            if (block.Aggregate(0, (sum, word) => Times(sum, root) ^ word) != 0)
                return false;
        return true;
    }

    private static int Times(int a, int b)
    {
        var product = 0;
        for (; b > 0; b >>= 1)
        {
            if ((b & 1) != 0)
                product ^= a;
            a <<= 1;
            if (a > 255)
                a ^= 0x11D;
        }
        return product;
    }

    private const string Alphanumeric = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:";

    private static string Text(List<byte> data)
    {
        var at = 0;
        int Take(int count)
        {
            var value = 0;
            for (; count > 0; count--, at++)
                value = 2 * value + (data[at / 8] >> (7 - at % 8) & 1);
            return value;
        }

        var text = new StringBuilder();
        while (8 * data.Count - at >= 4)
        {
            var mode = Take(4);
            if (mode == 0)
                break;
            var count = mode switch { 0b0010 => Take(9), 0b0100 => Take(8), _ => throw new InvalidDataException($"mode {mode:b4} is not read") };
            if (mode == 0b0100)
                text.Append(Encoding.Latin1.GetString([.. Enumerable.Range(0, count).Select(_ => (byte)Take(8))]));
            else
                for (; count > 0; count -= 2)
                {
                    var pair = count == 1 ? Take(6) : Take(11);
                    text.Append(count == 1 ? $"{Alphanumeric[pair]}" : $"{Alphanumeric[pair / 45]}{Alphanumeric[pair % 45]}");
                }
        }
        return text.ToString();
    }
}
