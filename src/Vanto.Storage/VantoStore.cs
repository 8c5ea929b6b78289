using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

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

/// <summary>The store: one SQLite file, write-ahead log, every acknowledged change on the disk.</summary>
public sealed class VantoStore(DbContextOptions<VantoStore> options) : DbContext(options)
{
    public DbSet<RigRow> Rigs => Set<RigRow>();
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();
    public DbSet<RecordRow> Records => Set<RecordRow>();
    public DbSet<AttachmentRow> Attachments => Set<AttachmentRow>();

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
        modelBuilder.Entity<RecordRow>(record =>
        {
            record.HasKey(r => r.Id);
            record.HasIndex(r => new { r.RigId, r.Order }).IsUnique();
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
