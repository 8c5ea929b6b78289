using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Vanto.Core.Exchange;

namespace Vanto.Storage;

/// <summary>A rig: its name stands in its design; here only what lists need.</summary>
public sealed class RigRow
{
    public Guid Id { get; init; }
    public DateTimeOffset CreatedAt { get; init; }
    public int Position { get; set; }
}

/// <summary>One acknowledged state of a rig's design.</summary>
public sealed class RevisionRow
{
    public Guid RigId { get; init; }
    public int Number { get; init; }
    public DateTimeOffset At { get; init; }

    /// <summary>The whole design as JSON.</summary>
    public required string Design { get; init; }

    /// <summary>Paths that this revision changed, one a line.</summary>
    public required string Paths { get; init; }

    /// <summary>The tab that changed it.</summary>
    public required string Client { get; init; }

    /// <summary>What was done, in words; empty for edits.</summary>
    public string Label { get; init; } = "";
}

/// <summary>One record of the append-only log of a rig.</summary>
public sealed class RecordRow
{
    public Guid Id { get; init; }
    public Guid RigId { get; init; }
    public long Order { get; init; }
    public DateTimeOffset At { get; init; }
    public required string By { get; init; }
    public required string Kind { get; init; }
    public required string Body { get; init; }
    public Guid? Corrects { get; init; }

    /// <summary>Laptop that wrote it; nothing for what was written before laptops said so.</summary>
    public string? Device { get; set; }

    /// <summary>Number among the records of that laptop in this log.</summary>
    public long? Seq { get; set; }

    /// <summary>When, among all laptops, ms since 1970.</summary>
    public long? StampMs { get; set; }

    /// <summary>Within that millisecond.</summary>
    public int? StampCount { get; set; }

    /// <summary>Where in whose log it was written; nothing for what was written before laptops said so.</summary>
    public EventStamp? Stamp
    {
        get => Device is { } device && Seq is { } seq && StampMs is { } ms && StampCount is { } count
            ? new EventStamp(new HybridTime(ms, count), device, seq) : null;
        set => (Device, Seq, StampMs, StampCount) = (value?.Device, value?.Seq, value?.Time.Ms, value?.Time.Count);
    }
}

/// <summary>A file that belongs to a rig, such as its weather.</summary>
public sealed class AttachmentRow
{
    public Guid Id { get; init; }
    public Guid RigId { get; init; }
    public DateTimeOffset At { get; init; }
    public required string Name { get; init; }
    public required byte[] Content { get; init; }
}

/// <summary>What one instrument measures at a rig.</summary>
public sealed class ChannelRow
{
    public int Id { get; init; }
    public Guid RigId { get; init; }
    public required string Instrument { get; init; }
    public required string Quantity { get; init; }

    /// <summary>Made by a simulation: never taken for what was measured.</summary>
    public bool Simulated { get; init; }
}

/// <summary>One reading of an instrument.</summary>
public sealed class ReadingRow
{
    public int ChannelId { get; init; }

    /// <summary>By the instrument's clock, ms since 1970.</summary>
    public long At { get; init; }

    public long Seq { get; init; }

    /// <summary>SI; null where the instrument had none to give.</summary>
    public double? Value { get; init; }

    public int Quality { get; init; }

    /// <summary>By this machine's clock, ms since 1970.</summary>
    public long Arrived { get; init; }

    /// <summary>It came too late for a verdict that was given.</summary>
    public bool Late { get; init; }
}

/// <summary>Least and most of a channel in a minute, so that a long trace opens at once.</summary>
public sealed class MinuteRow
{
    public int ChannelId { get; init; }

    /// <summary>Since 1970.</summary>
    public long Minute { get; init; }

    public double Low { get; init; }
    public double High { get; init; }
}

/// <summary>The store: one SQLite file, write-ahead log, every acknowledged change on the disk.</summary>
public sealed class VantoStore(DbContextOptions<VantoStore> options) : DbContext(options)
{
    public DbSet<RigRow> Rigs => Set<RigRow>();
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();
    public DbSet<RecordRow> Records => Set<RecordRow>();
    public DbSet<AttachmentRow> Attachments => Set<AttachmentRow>();
    public DbSet<ChannelRow> Channels => Set<ChannelRow>();
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();
    public DbSet<MinuteRow> Minutes => Set<MinuteRow>();

    /// <inheritdoc />
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<RigRow>().HasKey(r => r.Id);
        modelBuilder.Entity<RevisionRow>(revision =>
        {
            revision.HasKey(r => new { r.RigId, r.Number });
            revision.HasOne<RigRow>().WithMany().HasForeignKey(r => r.RigId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<AttachmentRow>(attachment =>
        {
            attachment.HasKey(a => a.Id);
            attachment.HasOne<RigRow>().WithMany().HasForeignKey(a => a.RigId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<ChannelRow>(channel =>
        {
            channel.HasKey(c => c.Id);
            channel.HasIndex(c => new { c.RigId, c.Instrument, c.Quantity, c.Simulated }).IsUnique();
            channel.HasOne<RigRow>().WithMany().HasForeignKey(c => c.RigId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<ReadingRow>(reading =>
        {
            reading.HasKey(r => new { r.ChannelId, r.At, r.Seq });
            reading.HasOne<ChannelRow>().WithMany().HasForeignKey(r => r.ChannelId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<MinuteRow>(minute =>
        {
            minute.HasKey(m => new { m.ChannelId, m.Minute });
            minute.HasOne<ChannelRow>().WithMany().HasForeignKey(m => m.ChannelId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<RecordRow>(record =>
        {
            record.HasKey(r => r.Id);
            record.HasIndex(r => new { r.RigId, r.Order }).IsUnique();
            record.Ignore(r => r.Stamp);
            record.HasOne<RigRow>().WithMany().HasForeignKey(r => r.RigId).OnDelete(DeleteBehavior.Cascade);
        });
    }
}

/// <summary>Lets the migration tool build the context.</summary>
public sealed class VantoStoreFactory : IDesignTimeDbContextFactory<VantoStore>
{
    /// <inheritdoc />
    public VantoStore CreateDbContext(string[] args) => new(new DbContextOptionsBuilder<VantoStore>().UseSqlite("Data Source=design.db").Options);
}
