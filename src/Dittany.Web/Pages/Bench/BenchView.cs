using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using Dittany.Store;
using Dittany.Web.Drawings;
using Dittany.Web.Setup;

namespace Dittany.Web.Pages.Bench;

/// <summary>How a station stands: settled, hers by overrule, with a caution, or where the needle waits.</summary>
public enum StationState
{
    Settled,
    Hers,
    Caution,
    Needle,
}

/// <summary>A station on the thread.</summary>
public sealed record StationView(Station Station, string Name, string Told, StationState State)
{
    public string Id => Station.ToString().ToLowerInvariant();
}

/// <summary>How the bench is looked at: what stays the same over a change.</summary>
public sealed record BenchLook(string? View = null, string? Face = null, string? Station = null, int? At = null, bool Narrow = false,
    string? Place = null, int? Part = null);

/// <summary>Everything the bench shows of a piece: its plan, told from the decision records, and how it is looked at.</summary>
public sealed record BenchView(Planned Planned, IReadOnlyList<MovedOn> Moved, ProofRow? Proof, bool Printed, BenchLook Look,
    DateOnly Today, IReadOnlyList<ValidationError> Faults, Conflict? Conflict, string? Typed)
{
    private static readonly (Station Station, string Name, string[] Tells)[] Stations =
    [
        (Station.Item, "Item", ["item.size", "fabric.kind"]),
        (Station.Space, "Space", ["space.place"]),
        (Station.Words, "Words", ["words.size", "craft"]),
        (Station.Transfer, "Transfer", ["transfer.method"]),
        (Station.Hoop, "Hoop", ["hoop.size"]),
        (Station.Thread, "Thread & needle", ["thread.colour", "thread.strands"]),
        (Station.Stitches, "Stitches", ["stitch.outline", "stitch.fill"]),
        (Station.Order, "Order of work", ["order.parts"]),
        (Station.Time, "Time", ["time.ready"]),
        (Station.Finish, "Finish", ["finish.press"]),
    ];

    /// <summary>Faces with the key that shows them.</summary>
    public static IReadOnlyList<(string Id, string Name, string Key, string Told)> Faces { get; } =
    [
        ("stitched", "Stitched", "s", "Point at a stitch, a seam or the field, and it tells of itself. What is stitched can be dragged."),
        ("marks", "Marks", "m", "What is transferred onto the cloth: one line for each stroke."),
        ("hoops", "Hoops", "h", "Rings in the order they are placed; stitches may go as far as the dashes."),
        ("back", "Back", "b",
            "The work turned over. Green: a length begins. White: it ends. Rust: a jump. Thin dashes: on to there, under stitches."),
        ("order", "Order", "o", string.Empty),
        ("metre", "From a metre", "v", "As an eye a metre away sees it: what runs together here runs together for whoever is given it."),
    ];

    public Piece Piece => Planned.Piece;

    public Plan Plan => Planned.Plan;

    /// <summary>
    /// The plan of the whole piece; that which is shown is of one place of it, with what its job says of that place, where it has several.
    /// </summary>
    public Plan Whole { get; init; } = Planned.Plan;

    /// <summary>The job of the whole piece.</summary>
    public Job WholeJob { get; init; } = Planned.Piece.Job;

    /// <summary>The place that is shown, or null where there is only one.</summary>
    public PlannedPlace? Place => Whole.Places.FirstOrDefault(p => p.Key == Look.Place) ?? Whole.Places.FirstOrDefault(p => p.Main);

    /// <summary>What stands since long at the place that is shown is looked at and not changed.</summary>
    public bool Stands => Place is { Stands: true };

    /// <summary>Other zones of the item, where something more could go; all of them once the piece is rinsed.</summary>
    public IReadOnlyList<(string Id, string Name)> Elsewhere => Piece.Job.FormUsed is { } form
        ? form.Zones.Where(z => GrowsAnew || Whole.Places.Where(p => !p.Stands).All(p => p.Zone != z.Id)
            && (Whole.Places.Count > 0 || z.Id != Plan.Space.Zone)).ToArray() : [];

    /// <summary>Whether what is added now is work of its own, because all there is so far is stitched and rinsed.</summary>
    public bool GrowsAnew => Whole.Time.Progress.Stage is Stage.Drying or Stage.ToFinish or Stage.Finished;

    /// <summary>What is wrong at a place, so that it is seen from another.</summary>
    public static bool HasTrouble(PlannedPlace place) => !place.Stands && (place.Plan.Elements.Any(e => e.Concerns.Count > 0)
        || place.Plan.Cautions.Any(c => c.Severity == Severity.Stop));

    /// <summary>The places to be kept where the one that is shown is taken away.</summary>
    public string Others => string.Join(' ', Whole.Places.Where(p => p.Key != Place?.Key).Select(p => p.Key));

    public Units Units => Planned.Workshop.Units;

    public IReadOnlyList<View> Views { get; } = BenchDrawing.Views(Planned.Plan);

    public View View => (Views.FirstOrDefault(v => v.Id == Look.View) ?? Drawings.View.Read(Look.View, BenchDrawing.Shape) ?? Views[0])
        with
    { Pixels = Look.Narrow ? Drawings.View.NarrowPixels : Drawings.View.UsualPixels };

    /// <summary>Faces that show something of this piece.</summary>
    public IEnumerable<(string Id, string Name, string Key, string Told)> Shows => Plan.Sewn ? Faces : Faces
        .Where(f => f.Id is "stitched" or "marks" or "metre").Select(f => f.Id switch
        {
            "stitched" => (f.Id, "As made", f.Key, "As it will be. What is made can be dragged."),
            "marks" => (f.Id, "Cut and drawn", f.Key, "What is cut, laid or drawn for it. Red: bridges that stay standing in the film."),
            _ => f,
        });

    public string Face => Faces.Any(f => f.Id == Look.Face) ? Look.Face! : "stitched";

    /// <summary>
    /// Stitches worked on the face that works the piece: all of them, or what is in the cloth where some is, until she moves the slider.
    /// </summary>
    public int At => Math.Clamp(Look.At ?? (Plan.Time.Progress is { Stitched: true } progress
        ? (Runs.LastOrDefault(r => r.Run <= progress.RunsDone)?.LastRow + 1 ?? 0) + progress.Stitches : Plan.Route.Count), 0,
            Plan.Route.Count);

    public IReadOnlyList<RunTold> Runs { get; } = RunTelling.Of(Planned.Plan);

    /// <summary>From so many stitches on only one face is in the page, and the one that works the piece is painted.</summary>
    private const int LargeFrom = 4000;

    /// <summary>Whether faces are drawn one at a time.</summary>
    public bool Large => Plan.Route.Count > LargeFrom;

    /// <summary>Stitches as a canvas paints them; empty where they are drawn one by one.</summary>
    public string Lines => Large && Face == "order" ? FaceDrawing.Lines(Plan) : string.Empty;

    /// <summary>More stitches than this have no word each in the page, so that it stays small.</summary>
    private const int MostTold = 3000;

    /// <summary>What each stitch says of itself, in working order; empty where there are too many for a page.</summary>
    public IReadOnlyList<string> Tellings { get; } = Planned.Plan.Route.Count <= MostTold
        ? StitchTelling.All(Planned.Plan).Select(t => t.In(Planned.Workshop.Units)).ToArray() : [];

    /// <summary>What the last of the worked stitches says of itself.</summary>
    public string AtTold => At == 0 ? "Nothing is stitched yet." : Tellings.Count > 0 ? Tellings[At - 1]
        : StitchTelling.Tell(Plan, At - 1).In(Units);

    public string Drawing => BenchDrawing.Draw(Plan, new BenchDrawing.Look(View, Units, At, Plan.Time.Progress.Stage == Stage.OnTheHoop
        ? Plan.Time.Progress.RunsDone : 0)
    {
        Only = Large ? Face : null,
        Beside = Whole.Places.Where(p => p.Key != Place?.Key && p.Plan.Space.Face.Id == Plan.Space.Face.Id)
            .SelectMany(p => p.Plan.Elements).ToArray(),
    }, Parts);

    public PlannedElement Words => Plan.Elements[0];

    /// <summary>Lines as they were typed for a part, where they could not be read.</summary>
    public (string Element, string Role, string Text)? LinesTyped { get; init; }

    /// <summary>What a change that was said has done, one sentence a thing; null where none was said.</summary>
    public IReadOnlyList<string>? SaidDid { get; init; }

    /// <summary>What of a change that was said has no meaning here.</summary>
    public IReadOnlyList<string> SaidAsked { get; init; } = [];

    /// <summary>The change as it was typed, where something of it is asked about.</summary>
    public string? SaidTyped { get; init; }

    /// <summary>Parts of motifs, and of letters with areas, by what they are.</summary>
    public IReadOnlyList<PartTold> Parts { get; } = PartTelling.Of(Planned.Plan, Planned.Piece.Job);

    /// <summary>Letters one by one, where there are not too many to choose from.</summary>
    public IReadOnlyList<LetterTold> Letters { get; } =
        PartTelling.LettersOf(Planned.Plan, Planned.Piece.Job) is { Count: <= MostLetters } few ? few : [];

    /// <summary>A list of more letters than this helps nobody to find one.</summary>
    private const int MostLetters = 60;

    /// <summary>So many parts have their forms in the page; of more only the one that is asked for.</summary>
    private const int MostForms = 60;

    /// <summary>The part whose form is open.</summary>
    public int? PartOpen => Look.Part;

    /// <summary>Whether the form of a part is in the page.</summary>
    public bool HasForm(PartTold part, int number) => Parts.Count <= MostForms || number == PartOpen
        || (LinesTyped is { } typed && typed.Element == part.Element && typed.Role == part.Role);

    /// <summary>Which part a stitch belongs to: the row it begins at and its part, a line each.</summary>
    public string PartPlaces => string.Join('\n', PartTelling.Places(Plan, Parts).Select(p =>
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{p.Row} {p.Part}")));

    /// <summary>Motifs that stand several times, to be set out by eye.</summary>
    public IReadOnlyList<SetOutTold> SetOut { get; } = SettingOut.Of(Planned.Plan, Planned.Piece.Job);

    /// <summary>Facts of the cloth, each with what it steers.</summary>
    public IReadOnlyList<FactTold> Facts => FactTelling.Of(Plan, Piece.Job).Select(f => f with { Now = f.Now.In(Units) }).ToArray();

    /// <summary>The form it is put on.</summary>
    public Form? FormUsed => Piece.Job.FormUsed;

    /// <summary>Her own measure, as she would write it; null where she took none.</summary>
    public string? MeasuredOf(string measure) => Piece.Job.MeasuredMm is { } m && m.TryGetValue(measure, out var mm)
        ? Tape.Length(mm, Units) : null;

    /// <summary>What is said below the drawing before she points at anything.</summary>
    public string Readout => Face == "order" ? AtTold : Shows.Concat(Faces).First(f => f.Id == Face).Told;

    public string Length(double mm) => Tape.Length(mm, Units);

    /// <summary>What waits for her, the first where the needle is.</summary>
    public IReadOnlyList<Waiting> Next { get; } = Core.Advising.Next.Of(Planned.Plan, Proof is not null, Printed);

    /// <summary>The station whose slips are shown.</summary>
    public StationView Shown => Thread.FirstOrDefault(s => s.Id == Look.Station)
        ?? Thread.FirstOrDefault(s => s.Station == (Next.Count > 0 ? Next[0].Station : Station.Finish)) ?? Thread[^1];

    private string Unsewn(Station station, string name) => station switch
    {
        Station.Transfer => "Preparing",
        Station.Thread => "Colour",
        Station.Stitches => Plan.CraftParts.Select(p => p.Craft).Distinct(StringComparer.Ordinal).ToArray() switch
        {
            ["paint"] => "Painting",
            ["felt"] => "Felting",
            ["applique"] => "Sewing on",
            ["beads"] => "Beads",
            _ => "Making",
        },
        _ => name,
    };

    /// <summary>Where nothing is stitched, hoop, thread and order of stitches have nothing to tell.</summary>
    private static readonly Station[] OfTheNeedle = [Station.Hoop, Station.Order];

    public IReadOnlyList<StationView> Thread => Stations.Where(s => Plan.Sewn || !OfTheNeedle.Contains(s.Station)).Select(s => new
        StationView(
        s.Station,
        Plan.Sewn ? s.Name : Unsewn(s.Station, s.Name),
        string.Join(", ", s.Tells.Select(Plan.Decision).OfType<Decision>()
            .Where(d => d.ChoiceId != (d.Id switch { "stitch.fill" => "none", "craft" => "stitch", _ => string.Empty })).Select((d, i) => i == 0 ? d.Choice : Say.Lower(d.Choice))),
        Next.Count > 0 && Next[0].Station == s.Station ? StationState.Needle
            : HasCaution(s.Station) ? StationState.Caution
            : Plan.Decisions.Any(d => d.Station == s.Station && d.Overruled) ? StationState.Hers : StationState.Settled)).ToArray();

    /// <summary>One line under the title.</summary>
    public string Summary
    {
        get
        {
            var due = Piece.Job.DueOn is { } day ? $"for {Say.Day(day)} · " : string.Empty;
            var ready = Whole.Decision("time.ready")!.Choice;
            var progress = Whole.Time.Progress;
            return progress.Stage is Stage.Planned or Stage.Finished
                ? $"{due}{Say.Lower(ready)} · {Say.Minutes(Whole.Time.LowMinutes)} to {Say.Minutes(Whole.Time.HighMinutes)} of work"
                : $"{due}{Say.Lower(ready)} · {progress.Told}";
        }
    }

    public bool Late => Whole.Decision("time.ready")!.ChoiceId == "late";

    public IReadOnlyList<Decision> SlipsOf(Station station) => Plan.Decisions.Where(d => d.Station == station).ToArray();

    public IReadOnlyList<Concern> ConcernsOf(Station station) => ConcernedAt(station).Select(c => c.Concern).ToArray();

    /// <summary>Concerns at a station, each with the element it befell.</summary>
    public IReadOnlyList<(PlannedElement Element, Concern Concern)> ConcernedAt(Station station) => Plan.Elements.SelectMany(e =>
        e.Concerns.Select(c => (e, c))).Where(c => Core.Advising.Next.StationOf(c.c) == station).ToArray();

    /// <summary>Cautions that must be seen at a station; those of no station stand at the first.</summary>
    public IReadOnlyList<Caution> LoudOf(Station station) =>
        Plan.Cautions.Where(c => c.Severity != Severity.Note && (c.At ?? Station.Item) == station).ToArray();

    public IReadOnlyList<Caution> QuietOf(Station station) =>
        Plan.Cautions.Where(c => c.Severity == Severity.Note && (c.At ?? Station.Finish) == station).ToArray();

    /// <summary>What every seam and hem asks to be kept free: the drawing tells it on pointing, this to those who do not point.</summary>
    public IReadOnlyList<string> Clearances => Plan.Space.Obstacles.Select(o =>
        Core.Space.Clearances.Tell(o).In(Units)).Distinct().ToArray();

    /// <summary>The next step of the work itself, or none where it is finished.</summary>
    public StepOn? StepOn => StepOn.After(Whole, Today);

    /// <summary>The member of an element that a remedy changes, and to what.</summary>
    public (string Member, string Value) Remedy(PlannedElement of, Remedy remedy) => RemedyIn(remedy) is var (member, value)
        ? (Changes.MemberOf(Piece.Job, of.Id, member), value) : default;

    private static (string Member, string Value) RemedyIn(Remedy remedy) => remedy switch
    {
        { CentreMm: { } centre } => ("centreMm", string.Create(CultureInfo.InvariantCulture, $"{centre.X:R},{centre.Y:R}")),
        { CapHeightMm: { } cap } => ("capHeightMm", cap.ToString("R", CultureInfo.InvariantCulture)),
        { Strands: { } strands } => ("strands", strands.ToString(CultureInfo.InvariantCulture)),
        { Stitch: { } stitch } => ("stitch", stitch),
        { Rows: { } rows } => ("rows", rows.ToString(CultureInfo.InvariantCulture)),
        { Alphabet: { } alphabet } => ("alphabet", alphabet),
        { HeightMm: { } high } => ("heightMm", high.ToString("R", CultureInfo.InvariantCulture)),
        { RadiusMm: { } radius } => ("radiusMm", radius.ToString("R", CultureInfo.InvariantCulture)),
        _ => ("colour", remedy.Colour!),
    };

    /// <summary>The remedy on a button.</summary>
    public string RemedyText(Remedy remedy) => remedy.Text.In(Units);

    /// <summary>The member that holds her choice of an overruled decision: an overrule, or a stated member.</summary>
    public string HersIn(Decision decision)
    {
        var overrule = $"overrules/{decision.Id}";
        if (Changes.Read(Piece.Job, overrule) is not null)
        {
            return overrule;
        }

        if (decision.Id == "item.size" && Piece.Job.MeasuredMm is { Count: > 0 } measured)
        {
            return $"measuredMm/{measured.Keys.Order(StringComparer.Ordinal).First()}";
        }

        // A member of the job speaks of the first element; of a further one there is the overrule alone.
        var stated = decision.Key.Of is not null ? [] : DecisionRegistry.Find(decision.Key)?.Stated ?? [];
        return (stated.FirstOrDefault(s => Changes.Read(Piece.Job, s.Member) is not null) ?? (stated.Count > 0 ? stated[0] : null))?.Member
            ?? overrule;
    }

    private bool HasCaution(Station station) =>
        ConcernsOf(station).Count > 0 || (station == Station.Time && Late)
            || Plan.Cautions.Any(c => c.Severity != Severity.Note && c.At == station);
}

/// <summary>One slip of the bench.</summary>
public sealed record SlipView(BenchView Bench, Decision Slip)
{
    /// <summary>So many reasons are told at once; the rest on asking.</summary>
    public const int AtOnce = 2;
}
