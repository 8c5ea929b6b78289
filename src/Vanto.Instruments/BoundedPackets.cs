namespace Vanto.Instruments;

/// <summary>
/// Bytes of an MQTT client, whose packets are measured as they come: the length that a packet states (section 2.1.4 of MQTT 5.0, OASIS 2019) is looked at
/// before whoever reads it makes room for it.
/// </summary>
public sealed class BoundedPackets(Stream inner, BrokerLimits limits) : Stream
{
    private const int Continues = 0x80, LongestLength = 4;

    private int _lengthBytes = -1;
    private long _length, _left;

    /// <summary>The first packet, which says who connects, is there whole.</summary>
    public bool Introduced { get; private set; }

    /// <inheritdoc />
    public override async ValueTask<int> ReadAsync(Memory<byte> buffer, CancellationToken cancellationToken = default)
    {
        var read = await inner.ReadAsync(buffer, cancellationToken);
        Measure(buffer.Span[..read]);
        return read;
    }

    /// <inheritdoc />
    public override Task<int> ReadAsync(byte[] buffer, int offset, int count, CancellationToken cancellationToken) =>
        ReadAsync(buffer.AsMemory(offset, count), cancellationToken).AsTask();

    /// <inheritdoc />
    public override int Read(byte[] buffer, int offset, int count)
    {
        var read = inner.Read(buffer, offset, count);
        Measure(buffer.AsSpan(offset, read));
        return read;
    }

    private void Measure(ReadOnlySpan<byte> bytes)
    {
        while (bytes.Length > 0)
            if (_left > 0)
            {
                var taken = (int)Math.Min(_left, bytes.Length);
                bytes = bytes[taken..];
                _left -= taken;
                Introduced |= _left == 0;
            }
            else
            {
                Header(bytes[0]);
                bytes = bytes[1..];
            }
    }

    /// <summary>A packet begins with its type, then its length in up to four bytes of seven bits.</summary>
    private void Header(byte one)
    {
        if (_lengthBytes < 0)
        {
            (_lengthBytes, _length) = (0, 0);
            return;
        }
        _length |= (long)(one & ~Continues) << (7 * _lengthBytes++);
        if (_length > (Introduced ? limits.Packet : limits.FirstPacket) || _lengthBytes > LongestLength)
            throw new IOException("A packet is longer than any reading.");
        if ((one & Continues) != 0)
            return;
        (_lengthBytes, _left) = (-1, _length);
        Introduced |= _left == 0;
    }

    public override bool CanRead => true;

    public override bool CanSeek => false;

    public override bool CanWrite => true;

    public override long Length => throw new NotSupportedException();

    public override long Position { get => throw new NotSupportedException(); set => throw new NotSupportedException(); }

    public override void Flush() => inner.Flush();

    public override Task FlushAsync(CancellationToken cancellationToken) => inner.FlushAsync(cancellationToken);

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => inner.Write(buffer, offset, count);

    public override ValueTask WriteAsync(ReadOnlyMemory<byte> buffer, CancellationToken cancellationToken = default) =>
        inner.WriteAsync(buffer, cancellationToken);

    public override Task WriteAsync(byte[] buffer, int offset, int count, CancellationToken cancellationToken) =>
        inner.WriteAsync(buffer, offset, count, cancellationToken);

    protected override void Dispose(bool disposing)
    {
        if (disposing)
            inner.Dispose();
        base.Dispose(disposing);
    }
}
