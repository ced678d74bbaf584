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
        PiecesIn(modelBuilder);
        CupboardIn(modelBuilder);
    }

    /// <summary>Pieces, their revisions, and what hangs on one of the two: nothing can point at what is not there.</summary>
    private static void PiecesIn(ModelBuilder model)
    {
        model.Entity<PieceRow>().HasMany(p => p.Revisions).WithOne().HasForeignKey(r => r.PieceId).OnDelete(DeleteBehavior.Restrict);
        model.Entity<PieceRow>().HasIndex(p => p.Once).IsUnique();
        var revision = model.Entity<RevisionRow>();
        revision.HasKey(r => new { r.PieceId, r.Number });
        revision.HasOne<RevisionRow>().WithMany().HasForeignKey(r => new { r.PieceId, r.Parent }).OnDelete(DeleteBehavior.Restrict);
        var begun = model.Entity<BegunRow>();
        begun.HasKey(b => new { b.PieceId, b.Number });
        // Not to the revision: what was begun before that was kept goes by the piece, under the number 0.
        begun.HasOne<PieceRow>().WithMany().HasForeignKey(b => b.PieceId).OnDelete(DeleteBehavior.Restrict);
        var printed = model.Entity<PrintedRow>();
        printed.HasIndex(p => new { p.PieceId, p.Revision });
        printed.HasOne<RevisionRow>().WithMany().HasForeignKey(p => new { p.PieceId, p.Revision }).OnDelete(DeleteBehavior.Restrict);
        model.Entity<PrinterRow>().HasKey(p => p.Name);
        var proof = model.Entity<ProofRow>();
        proof.HasIndex(p => p.PieceId);
        proof.HasOne<PieceRow>().WithMany().HasForeignKey(p => p.PieceId).OnDelete(DeleteBehavior.Restrict);
        var log = model.Entity<LogRow>();
        log.HasIndex(l => l.Once).IsUnique();
        log.HasIndex(l => l.PieceId);
        log.HasOne<PieceRow>().WithMany().HasForeignKey(l => l.PieceId).OnDelete(DeleteBehavior.Restrict);
        log.HasOne<LogRow>().WithMany().HasForeignKey(l => l.For).OnDelete(DeleteBehavior.Restrict);
        log.HasOne<PictureRow>().WithMany().HasForeignKey(l => l.PictureId).OnDelete(DeleteBehavior.Restrict);
    }

    /// <summary>The workshop, own forms, pictures, letters and drawings.</summary>
    private static void CupboardIn(ModelBuilder model)
    {
        var workshop = model.Entity<WorkshopRow>();
        workshop.HasKey(w => w.Number);
        workshop.Property(w => w.Number).ValueGeneratedNever();
        workshop.HasOne<WorkshopRow>().WithMany().HasForeignKey(w => w.Parent).OnDelete(DeleteBehavior.Restrict);
        model.Entity<FormRow>().HasKey(f => f.Id);
        var form = model.Entity<FormRevisionRow>();
        form.HasKey(r => new { r.FormId, r.Number });
        form.HasOne<FormRow>().WithMany().HasForeignKey(r => r.FormId).OnDelete(DeleteBehavior.Restrict);
        form.HasOne<FormRevisionRow>().WithMany().HasForeignKey(r => new { r.FormId, r.Parent }).OnDelete(DeleteBehavior.Restrict);
        model.Entity<PictureRow>().HasKey(p => p.Id);
        var photograph = model.Entity<PhotographRow>();
        photograph.HasOne<PictureRow>().WithMany().HasForeignKey(p => p.PictureId).OnDelete(DeleteBehavior.Restrict);
        photograph.HasOne<PictureRow>().WithMany().HasForeignKey(p => p.ViewId).OnDelete(DeleteBehavior.Restrict);
        photograph.HasOne<FormRow>().WithMany().HasForeignKey(p => p.ForForm).OnDelete(DeleteBehavior.Restrict);
        model.Entity<FontRow>().HasKey(f => f.Id);
        model.Entity<TracingRow>().HasKey(t => new { t.DrawingId, t.Number });
        model.Entity<TracingRow>().HasOne<DrawingRow>().WithMany().HasForeignKey(t => t.DrawingId).OnDelete(DeleteBehavior.Restrict);
    }
}

/// <summary>Lets the migration tool make a context without the application.</summary>
public sealed class DesignTimeDb : IDesignTimeDbContextFactory<DittanyDb>
{
    public DittanyDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite("Data Source=design.db").Options);
}
