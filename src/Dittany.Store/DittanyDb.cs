using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Dittany.Store;

/// <summary>The database: pieces with their revisions, the workshop, plans as printed.</summary>
public sealed class DittanyDb(DbContextOptions<DittanyDb> options) : DbContext(options)
{
    public DbSet<PieceRow> Pieces => Set<PieceRow>();

    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    public DbSet<WorkshopRow> Workshops => Set<WorkshopRow>();

    public DbSet<WorkshopHeadRow> WorkshopHeads => Set<WorkshopHeadRow>();

    public DbSet<PrintedRow> Printed => Set<PrintedRow>();

    public DbSet<ProofRow> Proofs => Set<ProofRow>();

    public DbSet<BegunRow> Begun => Set<BegunRow>();

    public DbSet<PrinterRow> Printers => Set<PrinterRow>();

    public DbSet<FormRow> Forms => Set<FormRow>();

    public DbSet<FormRevisionRow> FormRevisions => Set<FormRevisionRow>();

    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    public DbSet<PhotographRow> Photographs => Set<PhotographRow>();

    public DbSet<FontRow> Fonts => Set<FontRow>();

    public DbSet<DrawingRow> Drawings => Set<DrawingRow>();

    public DbSet<TracingRow> Tracings => Set<TracingRow>();

    public DbSet<LogRow> Log => Set<LogRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<PieceRow>().HasMany(p => p.Revisions).WithOne().HasForeignKey(r => r.PieceId).OnDelete(DeleteBehavior.Restrict);
        modelBuilder.Entity<PieceRow>().HasIndex(p => p.Once).IsUnique();
        modelBuilder.Entity<RevisionRow>().HasKey(r => new { r.PieceId, r.Number });
        modelBuilder.Entity<WorkshopRow>().HasKey(w => w.Number);
        modelBuilder.Entity<WorkshopRow>().Property(w => w.Number).ValueGeneratedNever();
        modelBuilder.Entity<ProofRow>().HasIndex(p => p.PieceId);
        modelBuilder.Entity<BegunRow>().HasKey(b => new { b.PieceId, b.Number });
        modelBuilder.Entity<FormRow>().HasKey(f => f.Id);
        modelBuilder.Entity<FormRevisionRow>().HasKey(r => new { r.FormId, r.Number });
        modelBuilder.Entity<FormRevisionRow>().HasOne<FormRow>().WithMany().HasForeignKey(r => r.FormId).OnDelete(DeleteBehavior.Restrict);
        modelBuilder.Entity<PictureRow>().HasKey(p => p.Id);
        modelBuilder.Entity<PhotographRow>().HasOne<PictureRow>().WithMany().HasForeignKey(p =>
            p.PictureId).OnDelete(DeleteBehavior.Restrict);
        modelBuilder.Entity<FontRow>().HasKey(f => f.Id);
        modelBuilder.Entity<TracingRow>().HasKey(t => new { t.DrawingId, t.Number });
        modelBuilder.Entity<TracingRow>().HasOne<DrawingRow>().WithMany().HasForeignKey(t => t.DrawingId).OnDelete(DeleteBehavior.Restrict);
        modelBuilder.Entity<LogRow>().HasIndex(l => l.Once).IsUnique();
        modelBuilder.Entity<LogRow>().HasIndex(l => l.PieceId);
        modelBuilder.Entity<PrinterRow>().HasKey(p => p.Name);
        modelBuilder.Entity<PrintedRow>().HasIndex(p => new { p.PieceId, p.Revision });
    }
}

/// <summary>Lets the migration tool make a context without the application.</summary>
public sealed class DesignTimeDb : IDesignTimeDbContextFactory<DittanyDb>
{
    public DittanyDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite("Data Source=design.db").Options);
}
