using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;

namespace Vanto.Documents;

/// <summary>
/// A bundle that is read file by file and never held whole: a small archive can unpack to a thousand times its size. Every byte that is unpacked is
/// counted as it comes, whatever the archive says of itself.
/// </summary>
public sealed class OpenBundle : IDisposable
{
    /// <summary>Most that a bundle unpacks to, beside what it is long itself, bytes; files in it; how much a file may be packed, from some size on.
    /// The product's own choice: photographs do not pack, text packs to a tenth.</summary>
    public const long Budget = 256L << 20;

    private const int MostFiles = 20_000, MostPacked = 200;
    private const long PackedFrom = 1 << 20;
    private const int SumsMost = 8 << 20;

    /// <summary>A line of the sums: 64 hex digits, two blanks, the path.</summary>
    private const int PathAt = 66;

    private readonly ZipArchive _zip;
    private readonly Dictionary<string, ZipArchiveEntry> _files;
    private long _left;

    private OpenBundle(ZipArchive zip, Dictionary<string, ZipArchiveEntry> files, long archive) => (_zip, _files, _left) = (zip, files, Budget + archive);

    /// <summary>Paths of its files.</summary>
    public IReadOnlyCollection<string> Paths => _files.Keys;

    /// <summary>Opens an archive whose sums all stand.</summary>
    /// <param name="archive">Read as long as the bundle is open.</param>
    /// <exception cref="InvalidDataException">It is no archive, too large, has a path that leads out of it, no sums, or is not whole.</exception>
    public static OpenBundle Whole(Stream archive)
    {
        var bundle = Unchecked(archive);
        try
        {
            return bundle.Faults().FirstOrDefault() is { } fault ? throw new InvalidDataException(fault) : bundle;
        }
        catch
        {
            bundle.Dispose();
            throw;
        }
    }

    /// <summary>Opens an archive without looking whether it is whole.</summary>
    /// <exception cref="InvalidDataException">It is no archive, or its paths are no paths of a bundle.</exception>
    public static OpenBundle Unchecked(Stream archive)
    {
        var zip = new ZipArchive(archive, ZipArchiveMode.Read, leaveOpen: true);
        try
        {
            if (zip.Entries.Count > MostFiles)
                throw new InvalidDataException($"it has {zip.Entries.Count} files; at most {MostFiles} are read");
            if (zip.Entries.Any(e => e.FullName.Contains("..", StringComparison.Ordinal) || e.FullName.StartsWith('/') || e.FullName.Contains(':')
                || e.FullName.Contains('\\')))
                throw new InvalidDataException("a path in it leads out of the archive");
            if (zip.Entries.Select(e => e.FullName).Distinct().Count() < zip.Entries.Count)
                throw new InvalidDataException("a file stands in it twice");
            return new OpenBundle(zip, zip.Entries.ToDictionary(e => e.FullName, StringComparer.Ordinal), archive.Length);
        }
        catch
        {
            zip.Dispose();
            throw;
        }
    }

    /// <summary>What is not whole, file by file as it is found; nothing where all is.</summary>
    /// <exception cref="InvalidDataException">It has no sums, they cannot be read, or it is too large.</exception>
    public IEnumerable<string> Faults()
    {
        if (!_files.ContainsKey(JobBundle.Sums))
            throw new InvalidDataException("it has no sums");
        var lines = Encoding.UTF8.GetString(Content(JobBundle.Sums, SumsMost)).Split('\n', StringSplitOptions.RemoveEmptyEntries);
        if (Array.Exists(lines, l => l.Length <= PathAt) || lines.Select(l => l[PathAt..]).Distinct().Count() < lines.Length)
            throw new InvalidDataException("its sums cannot be read");
        var told = lines.ToDictionary(l => l[PathAt..], l => l[..64], StringComparer.Ordinal);
        foreach (var path in told.Keys.Where(path => !_files.ContainsKey(path)))
            yield return $"{path} is missing";
        foreach (var path in _files.Keys.Where(path => path is not (JobBundle.Sums or JobBundle.Manifest)))
            if (!told.TryGetValue(path, out var sum))
                yield return $"{path} was put in";
            else if (Sum(path) != sum)
                yield return $"{path} was altered";
        // What is read after this was counted once already.
        _left = long.MaxValue;
    }

    /// <summary>SHA-256 of a file, hex, without holding it.</summary>
    public string Sum(string path)
    {
        using var stream = Open(path);
        return Convert.ToHexStringLower(SHA256.HashData(stream));
    }

    public bool Has(string path) => _files.ContainsKey(path);

    /// <summary>A file, to be read from its begin.</summary>
    public Stream Open(string path)
    {
        var entry = _files[path];
        return new Counted(entry.Open(), path, Math.Max(PackedFrom, entry.CompressedLength * MostPacked), read => (_left -= read) >= 0);
    }

    /// <summary>A whole file.</summary>
    /// <param name="path">Of the file.</param>
    /// <param name="most">Bytes that it may have.</param>
    /// <exception cref="InvalidDataException">It is longer.</exception>
    public byte[] Content(string path, long most)
    {
        using var from = Open(path);
        using var to = new MemoryStream();
        var part = new byte[81920];
        for (int read; (read = from.Read(part)) > 0;)
        {
            if (to.Length + read > most)
                throw new InvalidDataException($"{path} is longer than {Size(most)}");
            to.Write(part, 0, read);
        }
        return to.ToArray();
    }

    private static string Size(long bytes) => bytes >= 1 << 20 ? $"{bytes >> 20} MB" : $"{bytes >> 10} kB";

    public void Dispose() => _zip.Dispose();

    /// <summary>Counts what comes out of a file of the archive, and stops it where no honest file goes.</summary>
    private sealed class Counted(Stream inner, string path, long most, Func<int, bool> fits) : Stream
    {
        private long _read;

        public override int Read(byte[] buffer, int offset, int count) => Count(inner.Read(buffer, offset, count));

        public override int Read(Span<byte> buffer) => Count(inner.Read(buffer));

        private int Count(int read)
        {
            _read += read;
            if (_read > most)
                throw new InvalidDataException($"{path} is packed more than {MostPacked} times: no file of a job is");
            return fits(read) ? read : throw new InvalidDataException($"it unpacks to more than {Size(Budget)}");
        }

        public override bool CanRead => true;

        public override bool CanSeek => false;

        public override bool CanWrite => false;

        public override long Length => throw new NotSupportedException();

        public override long Position { get => _read; set => throw new NotSupportedException(); }

        public override void Flush()
        {
            // Nothing is written.
        }

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();

        protected override void Dispose(bool disposing)
        {
            if (disposing)
                inner.Dispose();
            base.Dispose(disposing);
        }
    }
}
