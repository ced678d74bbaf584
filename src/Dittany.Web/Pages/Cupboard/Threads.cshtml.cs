using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Threads;
using Dittany.Formats.Tables;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Cupboard;

/// <summary>The threads: the chart, hers from a table, and the two measurements that make every plan hers.</summary>
[RequestSizeLimit(MostRequest)]
[RequestFormLimits(MultipartBodyLengthLimit = MostRequest, ValueLengthLimit = MostRequest)]
public sealed class ThreadsModel(WorkshopStore workshops, PlanService desk) : PageModel
{
    /// <summary>A table of as many threads as are kept is smaller than this by far, bytes.</summary>
    public const int MostTable = 1024 * 1024;

    public const int MostRequest = MostTable * 4;

    /// <summary>A colour she looks for, to see what is nearest to it; null where she does not.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Like { get; set; }

    public Workshop Workshop { get; private set; } = Workshop.Default;

    public int From { get; private set; }

    /// <summary>What was read where some of it is wrong: nothing is kept yet.</summary>
    public ReadThreads? Read { get; private set; }

    /// <summary>What was typed where it was refused.</summary>
    public IReadOnlyDictionary<string, string> Typed { get; private set; } = new Dictionary<string, string>();

    /// <summary>What is wrong, by the field it is wrong in.</summary>
    public IReadOnlyDictionary<string, string> Wrong { get; private set; } = new Dictionary<string, string>();

    public string? Kept { get; private set; }

    public Effects? Effects { get; private set; }

    public Units Units => Workshop.Units;

    /// <summary>Those nearest to the colour she looks for: of hers, and of the chart.</summary>
    public (IReadOnlyList<(OwnThread Colour, double Off)> Hers, IReadOnlyList<(NamedColour Colour, double Off)> Ours)? Near =>
        Like is { } like && Hex(like) is { } hex
            ? (Chart.Nearest(hex, Workshop.Threads, t => t.Hex, 3), Chart.Nearest(hex, Chart.All, c => c.Hex, 6)) : null;

    public async Task OnGet(CancellationToken cancel) => await Load(cancel);

    /// <summary>Reads a table, from a file or as pasted. Where all of it is good it is kept.</summary>
    public async Task<IActionResult> OnPostTable(IFormFile? file, string? pasted, int from, CancellationToken cancel)
    {
        await Load(cancel);
        if (file is { Length: > MostTable })
        {
            return Refused("file", "The file is larger than 1 MB. A table of threads is far smaller: is it the right one?", pasted);
        }

        if (file is { Length: > 0 })
        {
            await using var stream = file.OpenReadStream();
            Read = ThreadTable.Read(stream);
        }
        else if (string.IsNullOrWhiteSpace(pasted))
        {
            return Refused("pasted", "There is no table yet. Choose a file, or paste rows such as: moss, #7d8a45.", pasted);
        }
        else
        {
            Read = ThreadTable.Read(pasted);
        }

        if (Read.Faults.Count > 0 || Read.Good.Count == 0)
        {
            Typed = new Dictionary<string, string>(StringComparer.Ordinal) { ["pasted"] = pasted ?? string.Empty };
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        return await Keep(from, Read.Good, cancel);
    }

    /// <summary>Keeps the good rows of a table whose others were told of.</summary>
    public async Task<IActionResult> OnPostGood(string? good, int from, CancellationToken cancel)
    {
        await Load(cancel);
        return await Keep(from, ThreadTable.Read(good ?? string.Empty).Good, cancel);
    }

    public async Task<IActionResult> OnPostForget(int from, CancellationToken cancel)
    {
        await Load(cancel);
        return await Change(from, WorkshopChanges.Threads, string.Empty, "Your threads are forgotten.", cancel);
    }

    /// <summary>Wraps round a ruler.</summary>
    public async Task<IActionResult> OnPostWraps(string kind, int ply, string? wraps, int from, CancellationToken cancel)
    {
        await Load(cancel);
        Typed = new Dictionary<string, string>(StringComparer.Ordinal)
        {
            ["kind"] = kind ?? string.Empty,
            ["ply"] = ply.ToString(CultureInfo.InvariantCulture),
            ["wraps"] = wraps ?? string.Empty,
        };
        if (ThreadKinds.Find(kind) is not { } known)
        {
            return Refused("kind", "Choose the thread you wrapped.");
        }

        if (!known.Plies.Contains(ply))
        {
            return Refused("ply", known.Parts ? "Wrap 1 to 6 strands, or 8, 10 or 12." : known.Plies.Count == 1
                ? $"{Say.Upper(known.Name)} is wrapped as it comes: write 1." : "Write 1, or 2 for doubled.");
        }

        if (!Number(wraps, out var turns) || turns is < 1 or > 100)
        {
            return Refused("wraps", "Write how many turns lie in a centimetre, such as 13. Half turns count too: 13.5.");
        }

        var wrapped = Measuring.Wrap(Workshop.Thread(known), ply, turns);
        var widths = new Dictionary<string, double>(Workshop.ThreadWidthsMm, StringComparer.Ordinal) { [known.Id] = wrapped.WidthMm };
        return await Change(from, WorkshopChanges.ThreadWidths, WorkshopChanges.Read(Workshop with { ThreadWidthsMm = widths },
            WorkshopChanges.ThreadWidths), $"{Say.Upper(new ThreadSize(known, ply).Said)}: {Tape.Length(Math.Round(wrapped.NowMm, 2), Units)} wide as you wrap it; "
                + $"it was taken for {Tape.Length(Math.Round(wrapped.WasMm, 2), Units)}.", cancel, "wraps");
    }

    /// <summary>Ten stitches, and what is left of the thread.</summary>
    public async Task<IActionResult> OnPostTen(string? before, string? left, string? cloth, int from, CancellationToken cancel)
    {
        await Load(cancel);
        Typed = new Dictionary<string, string>(StringComparer.Ordinal)
        {
            ["before"] = before ?? string.Empty,
            ["left"] = left ?? string.Empty,
            ["cloth"] = cloth ?? string.Empty,
        };
        if (Cloths.Find(cloth ?? string.Empty) is not { } on)
        {
            return Refused("cloth", "Choose the cloth you stitched on.");
        }

        if (Measure(before) is not { } whole || whole is < 100 or > 2000)
        {
            return Refused("before", "Write how long the thread was, such as 30 cm.");
        }

        if (Measure(left) is not { } rest || rest < 0 || rest >= whole)
        {
            return Refused("left", "Write how much of it is left, less than it was before, such as 18 cm.");
        }

        var takeUp = Measuring.TakeUp(whole, rest, on.ThicknessMm);
        return takeUp is < Workshop.LeastTakeUp or > Workshop.MostTakeUp
            ? Refused("left", $"Ten backstitches of 3 mm cannot take {Tape.Length(whole - rest, Units)}: {Tape.Length(Math.Round(Measuring.ReckonedMm(on.ThicknessMm)), Units)} "
                + "is what they should. Measure from where the thread comes out of the cloth, and count the stitches.")
            : await Change(from, WorkshopChanges.TakeUp, takeUp.ToString("R", CultureInfo.InvariantCulture),
                $"Your stitching takes {Say.Number((takeUp - 1) * 100, 0)} % more than the bare way of the thread; "
                    + $"{Say.Number((Cutting.TakeUp - 1) * 100, 0)} % is usual.", cancel, "left");
    }

    /// <summary>Measurements are forgotten, and plans are reckoned as usual.</summary>
    public async Task<IActionResult> OnPostUsual(int from, CancellationToken cancel)
    {
        await Load(cancel);
        var before = Workshop;
        var changed = await workshops.Change(from, [(WorkshopChanges.ThreadWidths, string.Empty), (WorkshopChanges.TakeUp, string.Empty),
            (WorkshopChanges.Trials, string.Empty)],
            "Measurements", cancel);
        return await Told(before, changed, "Your measurements are forgotten: all is reckoned as usual.", "wraps", cancel);
    }

    private Task<IActionResult> Keep(int from, IReadOnlyList<OwnThread> threads, CancellationToken cancel) => Change(
        from, WorkshopChanges.Threads, WorkshopChanges.Read(Workshop with { Threads = threads }, WorkshopChanges.Threads), $"{Say.Upper(Say.Count(threads.Count, "thread"))} are yours now.", cancel,
        "pasted");

    private async Task<IActionResult> Change(int from, string member, string value, string kept, CancellationToken cancel,
        string field = "pasted")
    {
        var before = Workshop;
        return await Told(before, await workshops.Change(from, [(member, value)], "Threads", cancel), kept, field, cancel);
    }

    private async Task<IActionResult> Told(Workshop before, WorkshopChanged changed, string kept, string field, CancellationToken cancel)
    {
        if (!changed.Taken)
        {
            return Refused(field, changed.Faults.Count > 0 ? $"{changed.Faults[0].Detail} {changed.Faults[0].Try}"
                : "The workshop was changed elsewhere meanwhile. What you typed is still here: look at it again and send it once more.");
        }

        (Kept, Read, Typed) = (kept, null, new Dictionary<string, string>());
        Effects = await desk.Effects(before, changed.Workshop, cancel);
        await Load(cancel);
        return Page();
    }

    private PageResult Refused(string field, string why, string? pasted = null)
    {
        Wrong = new Dictionary<string, string>(StringComparer.Ordinal) { [field] = why };
        if (pasted is not null)
        {
            Typed = new Dictionary<string, string>(StringComparer.Ordinal) { ["pasted"] = pasted };
        }

        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task Load(CancellationToken cancel)
    {
        Workshop = await workshops.Current(cancel);
        From = await workshops.Head(cancel);
    }

    private double? Measure(string? typed) => Tape.Read(typed ?? string.Empty, Units);

    private static bool Number(string? typed, out double number) => double.TryParse(
        Digits.Plain(typed ?? string.Empty).Trim().Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture,
        out number) && double.IsFinite(number);

    private static string? Hex(string like) => Colour.TryParse(like.StartsWith('#') ? like : $"#{like}", out var colour) ? colour.ToString()
        : Chart.All.FirstOrDefault(c => string.Equals(c.Name, like.Trim(), StringComparison.OrdinalIgnoreCase))?.Hex;
}
