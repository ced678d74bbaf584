using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;
using Dittany.Formats.Json;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Sheets;

/// <summary>The sheets of a piece: the words read back first, then a look at each sheet, paper, and what its check line measured.</summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, SheetStore sheets, PlanService desk, IPrinter printer,
    FolderPrinter standIn) : PageModel
{
    /// <summary>The printer behind her own computer, where she names none.</summary>
    public const string OwnPrinter = "My printer";

    private const int MostName = 60;

    public Planned Planned { get; private set; } = null!;

    public Plan Plan => Planned.Plan;

    public SheetKind Kind { get; private set; } = PieceSheets.Kinds[0];

    public ProofRow? Proof { get; private set; }

    /// <summary>Whether words still have to be read back; a piece without words has none.</summary>
    public bool ToProof => Proof is null && Plan.Proof.Count > 0;

    public IReadOnlyList<PrintedRow> Printed { get; private set; } = [];

    public IReadOnlyList<PrinterRow> Printers { get; private set; } = [];

    public IReadOnlyList<string> Preview { get; private set; } = [];

    public string StandInName => standIn.Name;

    public double StandInPercent => Math.Round(standIn.Scale * 100, 2);

    /// <summary>What is wrong, at which field, and what was typed there.</summary>
    public (string Field, string Text, string Typed)? Fault { get; private set; }

    [TempData]
    public string? Said { get; set; }

    /// <summary>The words as they are proofed: every wording of the piece.</summary>
    public static string WordsOf(Plan plan) => string.Join("\n\n", plan.Elements.Where(e => !e.IsMotif).Select(e => e.Text));

    /// <summary>Whether a sheet was printed of the plan as it stands now.</summary>
    public bool IsOfNow(PrintedRow row) => row.InputHash == PlanJson.SheetHash(Planned.Job, Planned.Workshop);

    public async Task<IActionResult> OnGet(int id, string? kind, CancellationToken cancel)
    {
        if (await Load(id, kind, cancel))
        {
            return Page();
        }

        // A piece that cannot be planned has no sheets; its bench says why, and its ways out.
        return (await pieces.Look(id, cancel)).Bad is null ? NotFound()
            : Redirect(string.Create(System.Globalization.CultureInfo.InvariantCulture, $"/bench/{id}"));
    }

    /// <summary>She, or whoever it is for, says that every letter is right.</summary>
    public async Task<IActionResult> OnPostProof(int id, string? kind, string? words, string? who, CancellationToken cancel)
    {
        if (!await Load(id, kind, cancel))
        {
            return NotFound();
        }

        // What she read is what she saw: were the words changed meanwhile, she reads the new ones.
        if (words?.ReplaceLineEndings("\n") != WordsOf(Plan))
        {
            return Refused(StatusCodes.Status409Conflict, "words", "The words were changed in the meantime: read these.", words
                ?? string.Empty);
        }

        var name = string.IsNullOrWhiteSpace(who) ? "Me" : who.Trim();
        if (name.Length > MostName || name.Any(char.IsControl))
        {
            return Refused(StatusCodes.Status422UnprocessableEntity, "who", $"A name has at most {MostName} letters, on one line.", who
                ?? string.Empty);
        }

        await sheets.Proof(id, WordsOf(Plan), name, cancel);
        return RedirectToPage(new { id, kind = Kind.Id });
    }

    /// <summary>
    /// The sheet as PDF for a printer, corrected for what that printer does to lengths; its plan is kept as printed. Nothing is printed
    /// that was not read back.
    /// </summary>
    public async Task<IActionResult> OnPostPdf(int id, string? kind, string? printer, CancellationToken cancel)
    {
        if (!await Load(id, kind, cancel))
        {
            return NotFound();
        }

        if (ToProof)
        {
            return Refused(StatusCodes.Status409Conflict, "words", "Read the words back first: nothing is printed before.", string.Empty);
        }

        var (leaves, row) = await Print(string.IsNullOrWhiteSpace(printer) ? OwnPrinter
            : printer.Trim()[..Math.Min(MostName, printer.Trim().Length)], cancel);
        return File(LeafPdf.Write(leaves, row.Enlarged), "application/pdf");
    }

    /// <summary>To the printer that the program knows itself.</summary>
    public async Task<IActionResult> OnPostPrint(int id, string? kind, CancellationToken cancel)
    {
        if (!await Load(id, kind, cancel))
        {
            return NotFound();
        }

        if (ToProof)
        {
            return Refused(StatusCodes.Status409Conflict, "words", "Read the words back first: nothing is printed before.", string.Empty);
        }

        var (leaves, row) = await Print(printer.Name, cancel);
        try
        {
            var path = await printer.Print(new PrintJob($"sheet-{row.Id}-{Kind.Id}", leaves, row.Enlarged), cancel);
            Said = $"Sheet {row.Id} went to the {printer.Name.ToLowerInvariant()}: {Path.GetFileName(path)}.";
            return RedirectToPage(new { id, kind = Kind.Id });
        }
        catch (IOException e)
        {
            return Refused(StatusCodes.Status500InternalServerError, "printer", $"It could not be printed: {e.Message}", string.Empty);
        }
    }

    /// <summary>What she measured of a sheet's check line.</summary>
    public async Task<IActionResult> OnPostMeasure(int id, string? kind, int sheet, string? measured, CancellationToken cancel)
    {
        if (!await Load(id, kind, cancel))
        {
            return NotFound();
        }

        if (Tape.Read(measured) is not { } mm || !CheckLine.CanBe(mm))
        {
            return Refused(
                StatusCodes.Status422UnprocessableEntity, $"measured-{sheet}",
                $"“{measured}” is not what a check line can measure. Lay the tape on the solid line, from outer edge to outer edge, and "
                    + $"write something like 99.5 mm or 3 15/16 in.", measured ?? string.Empty);
        }

        if (await sheets.Measure(id, sheet, mm, cancel) is not { } told)
        {
            return NotFound();
        }

        Said = $"Sheet {sheet}: {told.Line.Text}";
        return RedirectToPage(new { id, kind = Kind.Id });
    }

    /// <summary>Forgets a printer's correction.</summary>
    public async Task<IActionResult> OnPostForget(int id, string? kind, string name, CancellationToken cancel)
    {
        await sheets.Forget(name, cancel);
        return RedirectToPage(new { id, kind });
    }

    /// <summary>Sets what the stand-in printer does to lengths, in percent.</summary>
    public async Task<IActionResult> OnPostStandIn(int id, string? kind, string? percent, CancellationToken cancel)
    {
        if (!double.TryParse(Digits.Plain(percent ?? string.Empty), System.Globalization.CultureInfo.InvariantCulture, out var value)
            || value is < 80 or > 125)
        {
            return await Load(id, kind, cancel) ? Refused(StatusCodes.Status422UnprocessableEntity, "percent",
                $"“{percent}” will not do. Write 80 to 125, such as 97.", percent ?? string.Empty) : NotFound();
        }

        standIn.Scale = value / 100;
        return RedirectToPage(new { id, kind });
    }

    private PageResult Refused(int status, string field, string text, string typed)
    {
        Fault = (field, text, typed);
        Response.StatusCode = status;
        return Page();
    }

    private async Task<(IReadOnlyList<Leaf> Leaves, PrintedRow Row)> Print(string to, CancellationToken cancel)
    {
        var (job, workshop) = (Planned.Job, Planned.Workshop);
        var row = await sheets.Printed(Planned.Piece.Id, Planned.Piece.Head, PlanJson.SheetHash(job, workshop),
            PlanJson.Write(job, workshop, Planned.InMm), Kind.Id, to, cancel);
        var note = Math.Abs(row.Enlarged - 1) < 1e-6 ? $"Sheet {row.Id}"
            : $"Sheet {row.Id}, corrected for {Typesetting.Short(to, 3, 40)} ({Say.Number(row.Enlarged * 100, 2)} %)";
        return (PieceSheets.Of(Kind.Id, Plan, Papers.Find(workshop.Paper)!, note), row);
    }

    private async Task<bool> Load(int id, string? kind, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece)
        {
            return false;
        }

        Planned = await desk.Plan(piece, await workshops.Current(cancel), cancel);
        var kinds = PieceSheets.For(Plan);
        Kind = kinds.FirstOrDefault(k => k.Id == kind) ?? kinds[0];
        Proof = await sheets.ProofOf(id, WordsOf(Plan), cancel);
        Printed = (await sheets.All(id, cancel)).Reverse().ToArray();
        Printers = await sheets.Printers(cancel);
        if (!ToProof)
        {
            Preview = PieceSheets.Of(Kind.Id, Plan, Papers.Find(Planned.Workshop.Paper)!, string.Empty).Select((leaf, i) =>
                LeafSvg.Write(leaf, $"leaf-{i + 1}")).ToArray();
        }

        return true;
    }
}
