using System.Globalization;
using System.Text.RegularExpressions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Sayings;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.New;

/// <summary>A plan shown while she still types: nothing is stored.</summary>
public sealed record Glimpse(string Picture, string Title, IReadOnlyList<string> Told, IReadOnlyList<string> Concerns);

/// <summary>
/// Three answers: the words, the item, the day. They are understood from one saying, or given one by one; what was given by itself stands
/// against what was said. The hidden <c>Heard</c> members hold what an answer was filled with from the saying, so that it follows the
/// saying until it is given by itself.
/// </summary>
public sealed partial class IndexModel(PieceStore pieces, WorkshopStore workshops, CupboardStore cupboard, PlanService desk,
    LetterShelf shelf)
    : PageModel
{
    [BindProperty]
    public string? Said { get; set; }

    [BindProperty]
    public string? Words { get; set; }

    /// <summary>A motif with the words, or instead of them.</summary>
    [BindProperty]
    public string? Motif { get; set; }

    [BindProperty]
    public string? HeardMotif { get; set; }

    [BindProperty]
    public string? HeardWords { get; set; }

    [BindProperty]
    public string? Form { get; set; }

    [BindProperty]
    public string? HeardForm { get; set; }

    /// <summary>The size picked for each form; only that of the form picked counts.</summary>
    [BindProperty]
    public Dictionary<string, string> Sizes { get; set; } = [];

    [BindProperty]
    public string? HeardSize { get; set; }

    /// <summary>Empty means the usual colour of the item.</summary>
    [BindProperty]
    public string? Colour { get; set; }

    [BindProperty]
    public string? HeardColour { get; set; }

    [BindProperty]
    public string? Day { get; set; }

    [BindProperty]
    public string? HeardDay { get; set; }

    /// <summary>Her own numbers of the item, as typed: its width and height by the form's measures.</summary>
    [BindProperty]
    public string? Wide { get; set; }

    [BindProperty]
    public string? High { get; set; }

    /// <summary>The form the numbers were typed for; for another they count for nothing.</summary>
    [BindProperty]
    public string? MeasuredOf { get; set; }

    /// <summary>What marks this very form, so that one sent twice makes one piece.</summary>
    [BindProperty]
    public string? Once { get; set; }

    /// <summary>
    /// Forms that pieces were begun on of late, the last first: they stand first to be picked. Looked up once, when the page is opened.
    /// </summary>
    [BindProperty]
    public string? Recent { get; set; }

    private const int MostRecent = 6;

    /// <summary>What is told of a plan while she types.</summary>
    private static readonly string[] Told = ["words.size", "motif.size", "craft", "stitch.outline", "transfer.method", "time.ready"];

    public Units Units { get; private set; }

    public IReadOnlyList<ValidationError> Faults { get; private set; } = [];

    private IReadOnlyList<Kept> _own = [];

    /// <summary>Forms to pick from: her own first.</summary>
    public IReadOnlyList<Form> Offered { get; private set; } = [];

    /// <summary>The form picked.</summary>
    public Form? Picked => Offered.FirstOrDefault(f => f.Id == Form);

    /// <summary>What the saying was taken for; null where nothing was said.</summary>
    public Heard? Heard { get; private set; }

    /// <summary>What she settled of single words, one to a line.</summary>
    [BindProperty]
    public string? Pins { get; set; }

    /// <summary>What has been asked of the saying that she has seen: it is asked once before a piece is made.</summary>
    [BindProperty]
    public string? Seen { get; set; }

    /// <summary>Whether the hand that was said is another than the workshop’s; null where none was said.</summary>
    public string? OtherHand { get; private set; }

    /// <summary>What is asked of the saying and not answered beside it.</summary>
    public IReadOnlyList<Question> Asked => (Heard?.Asked ?? []).Where(a => a.From < (Said ?? string.Empty).Length || (a.From == a.To
        && Heard!.Elements.Count == 0 && string.IsNullOrWhiteSpace(Words) && string.IsNullOrEmpty(Motif))).ToArray();

    /// <summary>What stands for all that is asked, so that what she saw can be told from what is new.</summary>
    public string AskedNow => string.Join('|', Asked.Select(a => a.Asks));

    /// <summary>Whether the page is shown to tell what is asked before a piece is made.</summary>
    public bool AsksFirst { get; private set; }

    public Glimpse? Glimpse { get; private set; }

    /// <summary>The day as it will be kept.</summary>
    public DateOnly? Due { get; private set; }

    /// <summary>The size to show for a form: as picked, else the usual one.</summary>
    public string SizeOf(Form form) => Sizes.TryGetValue(form.Id, out var size) ? size : form.UsualSize;

    /// <summary>May begin with an item taken from the cupboard, at a size or scaled to numbers of hers, mm.</summary>
    public async Task OnGet(string? said, string? form, string? size, double? width, double? height, CancellationToken cancel)
    {
        Said = said;
        var forms = (await pieces.All(cancel)).Pieces.Select(p => p.Job.Form);
        Recent = string.Join(' ', forms.Distinct(StringComparer.Ordinal).Take(MostRecent));
        await Offer(cancel);
        if (form is not null && Offered.FirstOrDefault(f => f.Id == form) is { } taken)
        {
            (Form, MeasuredOf) = (taken.Id, taken.Id);
            (Wide, High) = (Mm(width), Mm(height));
            if (taken.Sizes.Any(s => s.Id == size))
            {
                Sizes[taken.Id] = size!;
            }
        }

        if (!string.IsNullOrWhiteSpace(said))
        {
            Listen();
            await Look(await workshops.Current(cancel), cancel);
        }
    }

    /// <summary>The three answers as understood, and a glimpse of the plan; for a page with scripts, while she types.</summary>
    public async Task<IActionResult> OnPostUnderstand(CancellationToken cancel)
    {
        await Offer(cancel);
        Listen();
        var workshop = await workshops.Current(cancel);
        if (Request.Headers.ContainsKey("HX-Request"))
        {
            // Her words are told at once; the plan comes by itself.
            (_, Faults) = JobOf(workshop);
            Faults = [];
            GlimpseSoon = true;
        }
        else
        {
            await Look(workshop, cancel);
        }

        return Partial("_Answers", this);
    }

    /// <summary>Whether the glimpse of the plan is fetched once the answers are there.</summary>
    public bool GlimpseSoon { get; private set; }

    /// <summary>What was said, word by word; for a page without scripts.</summary>
    public async Task<IActionResult> OnPostHeard(CancellationToken cancel) => await Shown(cancel);

    /// <summary>
    /// An answer to a question: <c>from:to:said</c> puts other words in the place of those asked about.
    /// </summary>
    public async Task<IActionResult> OnPostAnswer(string answer, CancellationToken cancel)
    {
        var said = (Said ?? string.Empty).Normalize().ReplaceLineEndings("\n");
        if ((answer ?? string.Empty).Split(':', 3) is [var from, var to, var words] && int.TryParse(from, NumberStyles.None,
            CultureInfo.InvariantCulture, out var a)
            && int.TryParse(to, NumberStyles.None, CultureInfo.InvariantCulture, out var b) && a <= b && b <= said.Length)
        {
            Said = Spaces().Replace($"{said[..a]}{words}{said[b..]}", " ").Replace(" ,", ",", StringComparison.Ordinal).Trim();
        }

        return await Shown(cancel);
    }

    /// <summary>What a word is: <c>label:nth:word</c>, kept for as long as the saying has it.</summary>
    public async Task<IActionResult> OnPostPin(string pin, CancellationToken cancel)
    {
        if (Pin.Read(pin ?? string.Empty) is { } settled)
        {
            Pins = string.Join('\n', Settled().Where(p => p.Text != settled.Text || p.Nth != settled.Nth).Append(settled)
                .TakeLast(MostPins));
        }

        return await Shown(cancel);
    }

    private const int MostPins = 40;

    private Pin[] Settled() => (Pins ?? string.Empty).Split('\n', StringSplitOptions.RemoveEmptyEntries).Take(MostPins).Select(p =>
        Pin.Read(p.Trim())).OfType<Pin>().ToArray();

    private async Task<IActionResult> Shown(CancellationToken cancel)
    {
        await Offer(cancel);
        Listen();
        await Look(await workshops.Current(cancel), cancel);
        return Request.Headers.ContainsKey("HX-Request") ? Partial("_Answers", this) : Page();
    }

    /// <summary>What else a word can be, as its button sends it.</summary>
    public string PinOf(Span span, Label label)
    {
        var before = Heard!.Said[..span.From];
        var nth = 0;
        for (var at = before.IndexOf(span.Text, StringComparison.OrdinalIgnoreCase); at >= 0; at = before.IndexOf(span.Text, at + 1,
            StringComparison.OrdinalIgnoreCase))
        {
            nth++;
        }

        return new Pin(span.Text, nth, label).ToString();
    }

    /// <summary>A glimpse of the plan by the answers as they stand.</summary>
    public async Task<IActionResult> OnPostGlimpse(CancellationToken cancel)
    {
        await Offer(cancel);
        Listen();
        await Look(await workshops.Current(cancel), cancel);
        return Partial("_Glimpse", this);
    }

    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        await Offer(cancel);
        Listen();
        var workshop = await workshops.Current(cancel);
        var (job, faults) = JobOf(workshop);
        if (faults.Count > 0)
        {
            Faults = faults;
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        if (Asked.Count > 0 && Seen?.ReplaceLineEndings("\n") != AskedNow)
        {
            // Nothing of a saying falls silently: what could not be placed is shown once before a piece is made without it.
            AsksFirst = true;
            await Look(workshop, cancel);
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        try
        {
            // Planned before it is stored: what is more than a plan holds is told here, and the bench is there at once.
            await desk.Plan(job, workshop, cancel);
        }
        catch (UnplannedException e)
        {
            Faults = [e.Fault];
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }

        var id = await pieces.Create(job, "New piece", Once is { Length: > 0 and <= 64 } ? Once : null, cancel);
        return RedirectToPage("/Bench/Index", new { id });
    }

    /// <summary>What is wrong with one answer, by where its faults point.</summary>
    public string? FaultAt(params string[] pointers) =>
        Faults.FirstOrDefault(f => pointers.Any(p => f.Pointer.StartsWith(p, StringComparison.Ordinal))) is { } fault
            ? $"{fault.Detail} {fault.Try}" : null;

    /// <summary>Fills every answer that was not given by itself from what was said.</summary>
    private void Listen()
    {
        Heard = string.IsNullOrWhiteSpace(Said) ? null : SayingParser.Read(Said.Length > MostSaid ? Said[..MostSaid] : Said, desk.Today,
            string.IsNullOrEmpty(Form) || Form == HeardForm ? null : Form, Settled());
        (Words, HeardWords) = Filled(Words, HeardWords, Heard?.Words);
        (Motif, HeardMotif) = Filled(Motif, HeardMotif, Heard?.Motif);
        (Form, HeardForm) = Filled(Form, HeardForm, Heard?.Form);
        (Colour, HeardColour) = Filled(Colour, HeardColour, Heard?.ClothColour);
        (Day, HeardDay) = Filled(Day, HeardDay, Heard?.DueOn?.ToString("d MMMM yyyy", CultureInfo.InvariantCulture));
        if (Picked is { } form)
        {
            var (size, heard) = Filled(Sizes.GetValueOrDefault(form.Id) is { } picked && picked != form.UsualSize ? picked : null,
                HeardSize, Form == Heard?.Form ? Heard?.Size : null);
            HeardSize = heard;
            Sizes[form.Id] = size ?? form.UsualSize;
        }

        Due = string.IsNullOrWhiteSpace(Day) ? null : SaidDay.Read(Day, desk.Today);

        // What is written back to the page is what was understood, not what was posted.
        ModelState.Clear();

        static (string? Value, string? Heard) Filled(string? value, string? was, string? now) =>
            string.IsNullOrWhiteSpace(value) || value.ReplaceLineEndings("\n") == was?.ReplaceLineEndings("\n")
                ? (now ?? (was is null ? value : null), now) : (value, null);
    }

    /// <summary>A saying is shorter than this; what comes behind is not read.</summary>
    private const int MostSaid = 10_000;

    private (Job Job, IReadOnlyList<ValidationError> Faults) JobOf(Workshop workshop)
    {
        Units = workshop.Units;
        var faults = new List<ValidationError>();
        if (!string.IsNullOrWhiteSpace(Day) && Due is null)
        {
            faults.Add(new ValidationError("#/dueOn", $"“{Day}” is not a day.",
                "Say it like “Sunday week”, “14 March” or 2027-03-14, or leave it empty."));
        }

        IReadOnlyDictionary<string, double>? measured = null;
        if (Picked is { } picked && MeasuredOf == picked.Id)
        {
            (measured, var unread) = TypedMeasures.Read(picked, Wide, High, workshop.Units);
            faults.AddRange(unread);
        }

        if (string.IsNullOrEmpty(Form))
        {
            faults.Add(new ValidationError("#/item/form", "Nothing to put it on was picked.", "Pick one of the items, or say “on a tea towel”."));
        }

        var words = (Words ?? string.Empty).ReplaceLineEndings("\n").Trim().Normalize();
        var motif = string.IsNullOrEmpty(Motif) ? null : Motif;
        var form = Picked;
        var size = form is null ? null : SizeOf(form);
        var heard = (Heard ?? Heard.Nothing).With(words.Length > 0 ? words : null, motif).On(string.IsNullOrEmpty(Form) ? null : Form);
        OtherHand = heard.Hand is { } hand && hand != workshop.Habit("hand") ? hand : null;
        heard = heard with
        {
            Size = size == form?.UsualSize ? null : size,
            DueOn = Due,
            ClothColour = string.IsNullOrEmpty(Colour) ? null
            : Colour,
            MakeUp = measured is null ? heard.MakeUp : null
        };
        var job = heard.Job(desk.Today, _own.FirstOrDefault(k => k.Form.Id == Form)?.Form) ?? new Job(Form ?? string.Empty, words.Length > 0 ? [new TextElement("name", words)] : [], desk.Today);
        job = job with { MeasuredMm = measured };
        faults.AddRange(JobCheck.Faults(job, workshop, shelf.Now).Where(f => Form is { Length: > 0 }
            || !f.Pointer.StartsWith("#/item", StringComparison.Ordinal)));
        return (job, faults);
    }

    private async Task Offer(CancellationToken cancel)
    {
        _own = await cupboard.All(cancel: cancel);
        var recent = (Recent ?? string.Empty).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        Form[] all = [.. _own.Select(k => OwnForms.AsForm(k.Form)), .. Catalogue.Forms];
        Offered = all.OrderBy(f => Array.IndexOf(recent, f.Id) is >= 0 and var at ? at : recent.Length).ToArray();
    }

    private static string? Mm(double? mm) => mm is { } n && double.IsFinite(n) ? $"{Say.Number(n)} mm" : null;

    private async Task Look(Workshop workshop, CancellationToken cancel)
    {
        var (job, faults) = JobOf(workshop);
        Faults = (string.IsNullOrWhiteSpace(Words) && string.IsNullOrEmpty(Motif)) || string.IsNullOrEmpty(Form) ? [] : faults;
        if (faults.Count > 0)
        {
            return;
        }

        Plan plan;
        try
        {
            plan = await desk.Plan(job, workshop, cancel);
        }
        catch (UnplannedException e)
        {
            Faults = [e.Fault];
            return;
        }

        Glimpse = new Glimpse(
            BenchDrawing.Small(plan, "glimpse"),
            plan.Title,
            [
                .. Told.Select(plan.Decision).OfType<Core.Decisions.Decision>()
                    .Where(d => d is not { Id: "craft", ChoiceId: Core.Crafts.AllCrafts.Stitch }).Select(d => d.Choice),
                $"{Say.Minutes(plan.Time.LowMinutes)} to {Say.Minutes(plan.Time.HighMinutes)} of work",
            ],
            plan.Elements.SelectMany(e => e.Concerns).Select(c => c.Text.ToString()).ToArray());
    }

    [GeneratedRegex(@"[ \t]{2,}", RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Spaces();
}
