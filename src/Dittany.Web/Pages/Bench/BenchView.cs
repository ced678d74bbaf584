using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Store;
using Dittany.Web.Drawings;

namespace Dittany.Web.Pages.Bench;

/// <summary>How a station stands: settled, hers, or with a caution.</summary>
public enum StationState
{
    Settled,
    Hers,
    Caution,
}

/// <summary>A station on the thread.</summary>
public sealed record StationView(Station Station, string Name, string Told, StationState State);

/// <summary>Everything the bench shows of a piece: its plan, told from the decision records, and how it is looked at.</summary>
public sealed record BenchView(Piece Piece, Plan Plan, View View, string Face, IReadOnlyList<JobFault> Faults, Conflict? Conflict, string? Typed)
{
    private static readonly (Station Station, string Name, string[] Tells)[] Stations =
    [
        (Station.Item, "Item", ["item.size", "fabric.kind"]),
        (Station.Space, "Space", ["space.place"]),
        (Station.Words, "Words", ["words.size"]),
        (Station.Transfer, "Transfer", ["transfer.method"]),
        (Station.Hoop, "Hoop", ["hoop.size"]),
        (Station.Thread, "Thread & needle", ["thread.colour", "thread.strands"]),
        (Station.Stitches, "Stitches", ["stitch.outline"]),
        (Station.Order, "Order of work", ["order.parts"]),
        (Station.Time, "Time", ["time.ready"]),
        (Station.Finish, "Finish", ["finish.press"]),
    ];

    public IReadOnlyList<View> Views => BenchDrawing.Views(Plan);

    public string Drawing => BenchDrawing.Draw(Plan, View);

    public PlannedElement Words => Plan.Elements[0];

    /// <summary>Cautions that must be seen, before anything else.</summary>
    public IReadOnlyList<Caution> Loud => Plan.Cautions.Where(c => c.Severity != Severity.Note).ToArray();

    public IReadOnlyList<Caution> Quiet => Plan.Cautions.Where(c => c.Severity == Severity.Note).ToArray();

    /// <summary>The words read back letter by letter, for proofing.</summary>
    public string Proof => string.Join(" · ", Plan.Proof.Select(l => l.Aloud));

    public IReadOnlyList<StationView> Thread => Stations.Select(s => new StationView(
        s.Station,
        s.Name,
        string.Join(", ", s.Tells.Select(Plan.Decision).OfType<Decision>().Select((d, i) => i == 0 ? d.Choice : Say.Lower(d.Choice))),
        HasCaution(s.Station) ? StationState.Caution
            : Plan.Decisions.Any(d => d.Station == s.Station && d.Overruled) ? StationState.Hers : StationState.Settled)).ToArray();

    /// <summary>One line under the title.</summary>
    public string Summary
    {
        get
        {
            var due = Piece.Job.DueOn is { } day ? $"for {Say.Day(day)} · " : string.Empty;
            var ready = Plan.Decision("time.ready")!.Choice;
            return $"{due}{Say.Lower(ready)} · {Say.Minutes(Plan.Time.LowMinutes)} to {Say.Minutes(Plan.Time.HighMinutes)} of work";
        }
    }

    /// <summary>Slips by station, in the order of the thread.</summary>
    public IEnumerable<(StationView Station, IReadOnlyList<Decision> Slips)> Slips =>
        Thread.Select(s => (s, (IReadOnlyList<Decision>)Plan.Decisions.Where(d => d.Station == s.Station).ToArray()));

    /// <summary>The member a remedy changes, and to what.</summary>
    public static (string Member, string Value) Remedy(Remedy remedy) => remedy switch
    {
        { CapHeightMm: { } cap } => ("capHeightMm", cap.ToString("R", System.Globalization.CultureInfo.InvariantCulture)),
        { Strands: { } strands } => ("strands", strands.ToString(System.Globalization.CultureInfo.InvariantCulture)),
        { Stitch: { } stitch } => ("stitch", stitch),
        { Rows: { } rows } => ("rows", rows.ToString(System.Globalization.CultureInfo.InvariantCulture)),
        _ => ("colour", remedy.Colour!),
    };

    /// <summary>The remedy on a button.</summary>
    public static string RemedyText(Remedy remedy) => remedy.Colour is { } hex ? $"take {Core.Materials.Palette.NameOf(hex)}" : remedy.Text;

    /// <summary>The member that holds her choice of an overruled decision: an overrule, or a stated member.</summary>
    public string HersIn(Decision decision)
    {
        var overrule = $"overrules/{decision.Id}";
        return Changes.Read(Piece.Job, overrule) is not null ? overrule : decision.Id switch
        {
            "words.size" => "capHeightMm",
            "thread.strands" => "strands",
            "stitch.outline" => "stitch",
            "words.rows" => "rows",
            "item.wearer" => "wearer",
            "thread.colour" => "colour",
            "space.place" => "centreMm",
            "space.zone" => "zone",
            "item.size" => "size",
            _ => overrule,
        };
    }

    private bool HasCaution(Station station) => station switch
    {
        Station.Words => Plan.Elements.Any(e => e.Concerns.Any(c => c.What != "does-not-show")),
        Station.Thread => Plan.Elements.Any(e => e.Concerns.Any(c => c.What == "does-not-show")),
        Station.Time => Plan.Decision("time.ready")!.ChoiceId == "late",
        Station.Transfer => Plan.Transfer.Cautions.Any(c => c.Severity == Severity.Stop),
        _ => false,
    };
}
