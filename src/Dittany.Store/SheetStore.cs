using System.Text;
using Dittany.Core.Transfer;
using Dittany.Formats.Sheets;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>What became of measuring a check line: the sheet, and what its printer does to a length.</summary>
public sealed record Measured(PrintedRow Sheet, CheckedLine Line)
{
    public double PrinterScale => Line.PrinterScale;
}

/// <summary>Proofs of spelling, sheets that went out, and what printers do to lengths. Each call is one transaction.</summary>
public sealed class SheetStore(DittanyDb db, TimeProvider time)
{
    /// <summary>Remembers that these very words were read back and found right.</summary>
    public async Task Proof(int piece, string words, string who, CancellationToken cancel = default)
    {
        db.Proofs.Add(new ProofRow { PieceId = piece, Words = words, Who = who, At = time.GetUtcNow().UtcDateTime });
        await db.SaveChangesAsync(cancel);
    }

    /// <summary>The newest proof of these very words, or null.</summary>
    public async Task<ProofRow?> ProofOf(int piece, string words, CancellationToken cancel = default) =>
        await db.Proofs.AsNoTracking().Where(p => p.PieceId == piece && p.Words == words).OrderByDescending(p =>
            p.Id).FirstOrDefaultAsync(cancel);

    /// <summary>
    /// Keeps the plan as printed and numbers the sheet. The same sheet of the same plan for the same printer keeps its number while it is
    /// not void.
    /// </summary>
    public async Task<PrintedRow> Printed(int piece, int revision, string inputHash, byte[] planJson, string kind, string printer,
        CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var enlarged = 1 / await ScaleOf(printer, cancel);
        var same = await db.Printed.AsNoTracking()
            .Where(p => p.PieceId == piece && p.InputHash == inputHash && p.Kind == kind && p.Printer == printer && !p.Void)
            .OrderByDescending(p => p.Id).FirstOrDefaultAsync(cancel);
        if (same is not null && Math.Abs(same.Enlarged - enlarged) < 1e-9)
        {
            return same;
        }

        var row = new PrintedRow
        {
            PieceId = piece,
            Revision = revision,
            InputHash = inputHash,
            PlanJson = Encoding.UTF8.GetString(planJson),
            At = time.GetUtcNow().UtcDateTime,
            Kind = kind,
            Printer = printer,
            Enlarged = enlarged,
        };
        db.Printed.Add(row);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return row;
    }

    /// <summary>Sheets of a piece as they were printed, oldest first.</summary>
    public async Task<IReadOnlyList<PrintedRow>> All(int piece, CancellationToken cancel = default) =>
        await db.Printed.AsNoTracking().Where(p => p.PieceId == piece).OrderBy(p => p.Id).ToArrayAsync(cancel);

    /// <summary>What a printer does to a length; 1 for one that was never measured.</summary>
    public async Task<double> ScaleOf(string printer, CancellationToken cancel = default) =>
        await db.Printers.AsNoTracking().Where(p => p.Name == printer).Select(p => (double?)p.Scale).FirstOrDefaultAsync(cancel) ?? 1;

    /// <summary>All printers that were ever measured, by name.</summary>
    public async Task<IReadOnlyList<PrinterRow>> Printers(CancellationToken cancel = default) =>
        await db.Printers.AsNoTracking().OrderBy(p => p.Name).ToArrayAsync(cancel);

    /// <summary>Forgets what a printer was measured to do.</summary>
    public async Task Forget(string printer, CancellationToken cancel = default)
    {
        db.Printers.RemoveRange(db.Printers.Where(p => p.Name == printer));
        await db.SaveChangesAsync(cancel);
    }

    /// <summary>
    /// Takes what she measured of a sheet's check line, mm. Where it is not true the sheet is void, and so is every other sheet to scale
    /// of that
    /// printer printed with the same correction and never measured; the printer's error is remembered, so that the next sheet makes up for
    /// it. Null where there is no such sheet of this piece.
    /// </summary>
    public async Task<Measured?> Measure(int piece, int sheet, double measuredMm, CancellationToken cancel = default)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = await db.Printed.FirstOrDefaultAsync(p => p.Id == sheet && p.PieceId == piece, cancel);
        if (row is null)
        {
            return null;
        }

        row.MeasuredMm = measuredMm;
        var line = CheckLine.Judge(measuredMm, row.Enlarged);
        row.Void = !line.True;
        if (row.Void)
        {
            foreach (var other in db.Printed.Where(p => p.Printer == row.Printer && PieceSheets.ToScale.Contains(p.Kind)
                && p.Enlarged == row.Enlarged && p.MeasuredMm == null))
            {
                other.Void = true;
            }

            var printer = await db.Printers.FirstOrDefaultAsync(p => p.Name == row.Printer, cancel);
            if (printer is null)
            {
                printer = new PrinterRow { Name = row.Printer };
                db.Printers.Add(printer);
            }

            (printer.Scale, printer.At) = (line.PrinterScale, time.GetUtcNow().UtcDateTime);
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new Measured(row, line);
    }
}
