using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.Compare;

/// <summary>
/// A piece as it is planned beside the same piece with one thing chosen otherwise, and of something ruled out what would let it in. Looking
/// changes nothing.
/// </summary>
public sealed class IndexModel(PieceStore pieces, WorkshopStore workshops, LetterShelf letters, PlanService desk) : PageModel
{
    /// <summary>The decision that is looked at, and what would be chosen instead.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Decision { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Choice { get; set; }

    /// <summary>The place of the piece it is looked at, where it has several.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    public Piece Piece { get; private set; } = null!;

    public Planned One { get; private set; } = null!;

    /// <summary>The plan of the other way; null where it cannot be planned.</summary>
    public Planned? Other { get; private set; }

    public Decision Slip { get; private set; } = null!;

    public Told ChoiceTold { get; private set; } = string.Empty;

    /// <summary>Why what would be chosen is ruled out; null where it is not.</summary>
    public RuledOut? RuledOut { get; private set; }

    /// <summary>What would let it in; null while it is being tried out.</summary>
    public IReadOnlyList<LetIn>? LetsIn { get; private set; } = [];

    public IReadOnlyList<Compared> Lines { get; private set; } = [];

    public IReadOnlyList<MovedOn> Moves { get; private set; } = [];

    public Units Units { get; private set; }

    public string? Fault { get; private set; }

    public string Station => Slip.Station.ToString().ToLowerInvariant();

    public string Address => string.Create(CultureInfo.InvariantCulture,
        $"/compare/{Piece.Id}?Decision={Uri.EscapeDataString(Decision!)}&Choice={Uri.EscapeDataString(Choice!)}{InPlace}");

    /// <summary>The place, as the end of an address that goes on with it.</summary>
    public string InPlace => Place is null ? string.Empty : $"&Place={Uri.EscapeDataString(Place)}";

    /// <summary>The plans that are shown, each with what it is called.</summary>
    public IEnumerable<(string Side, Plan Plan, Told Name)> Sides => Other is null ? [("one", One.Plan.At(Place), Slip.Choice)]
        : [("one", One.Plan.At(Place), Slip.Choice), ("other", Other.Plan.At(Place), ChoiceTold)];

    private Change Overrule => new(Places.Member(Place, $"overrules/{Decision}"), Choice, ChoiceTold.ToString());

    public async Task<IActionResult> OnGet(int id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    /// <summary>Takes the other way.</summary>
    public async Task<IActionResult> OnPostTake(int id, int from, CancellationToken cancel) =>
        await Load(id, cancel) ? await Changed(from, Overrule, cancel) : NotFound();

    /// <summary>One of the facts that would let it in is so.</summary>
    public async Task<IActionResult> OnPostFact(int id, int from, string member, string value, string? andMember, string? andValue,
        CancellationToken cancel)
    {
        if (!await Load(id, cancel))
        {
            return NotFound();
        }

        var what = $"So that {Say.Lower(ChoiceTold)} is let in";
        var (one, other) = (new Change(Places.Member(Place, member), value, what), andMember is null ? null
            : new Change(Places.Member(Place, andMember), andValue, what));

        // Two facts are one change: both are so, or neither.
        return await Changed(from, other is null ? one
            : new Change(one.Member, one.Value, what, job => Changes.Apply(job, one).Job is { } half
            && Changes.Apply(half, other).Job is { } both ? both : job), cancel);
    }

    private async Task<IActionResult> Changed(int from, Change change, CancellationToken cancel)
    {
        var changed = await pieces.Change(Piece.Id, from, change, await workshops.Current(cancel), cancel: cancel);
        if (changed?.Piece is not null)
        {
            return Redirect(string.Create(CultureInfo.InvariantCulture, $"/bench/{Piece.Id}?Station={Station}{InPlace}"));
        }

        Fault = changed?.Faults is { Count: > 0 } faults ? $"{faults[0].Detail} {faults[0].Try}" : "The piece was changed somewhere else in the meantime: look again.";
        Response.StatusCode = StatusCodes.Status409Conflict;
        return Page();
    }

    private async Task<bool> Load(int id, CancellationToken cancel)
    {
        if (await pieces.Find(id, cancel) is not { } piece || Decision is null || Choice is null)
        {
            return false;
        }

        var workshop = await workshops.Current(cancel);
        (Piece, Units) = (piece, workshop.Units);
        One = await desk.Plan(piece, workshop, cancel);

        if (One.Plan.At(Place).Decision(Decision) is not { } slip)
        {
            return false;
        }

        (Slip, RuledOut) = (slip, slip.RuledOut.FirstOrDefault(r => r.ChoiceId == Choice));
        if ((RuledOut?.Text ?? slip.Alternatives.FirstOrDefault(a => a.ChoiceId == Choice)?.Text) is not { } told)
        {
            return false;
        }

        ChoiceTold = told;
        await LayBeside(workshop, cancel);
        LetsIn = RuledOut is null ? [] : await desk.SoonLetsIn(Here(One), Decision, Choice, cancel);
        return true;
    }

    /// <summary>The piece as it is at the place that is looked at.</summary>
    private Planned Here(Planned whole) => Place is not null && Places.Find(whole.Job, Place) is { } place && whole.Plan.Places.Count > 0
        ? whole with { Job = place.Job, Plan = whole.Plan.At(Place), InMm = whole.InMm.At(Place) } : whole;

    private async Task LayBeside(Workshop workshop, CancellationToken cancel)
    {
        var (job, fault) = Changes.Apply(Piece.Job with { Today = desk.Today }, Overrule);
        if ((fault ?? (JobCheck.Faults(job!, Piece.In(workshop), letters.Now) is [var first, ..] ? first : null)) is { } wrong)
        {
            Fault = $"{wrong.Detail} {wrong.Try}";
            return;
        }

        try
        {
            Other = await desk.Plan(Piece, workshop, cancel, job);
        }
        catch (UnplannedException e)
        {
            Fault = $"{e.Fault.Detail} {e.Fault.Try}";
            return;
        }

        Lines = Comparing.Of(One.Plan.At(Place), Other.Plan.At(Place), workshop.HourlyRate);
        Moves = Moved.Between(One.Plan.At(Place), Other.Plan.At(Place), workshop.Units);
    }
}
