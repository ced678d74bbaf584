using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Route;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Threads;
using Dittany.Core.Time;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>The item as planned for.</summary>
public sealed record PlannedItem(string Form, string FormName, string Size, Told SizeName, string Wearer, IReadOnlyList<Pt> OutlineMm,
    Cloth Cloth);

/// <summary>The space as planned for.</summary>
public sealed record PlannedSpace(
    Items.Face Face,
    string Zone,
    string ZoneName,
    IReadOnlyList<Pt> ZoneMm,
    IReadOnlyList<IReadOnlyList<Pt>> FieldMm,
    IReadOnlyList<Items.Obstacle> Obstacles,
    IReadOnlyList<Items.Landmark> Landmarks,
    IReadOnlyList<IReadOnlyList<Pt>> BehindMm,
    IReadOnlyList<IReadOnlyList<Pt>> OverMm,
    Items.Picture? Picture,
    Items.Landmark CentreLine,
    Items.Landmark LevelLine,
    IReadOnlyList<Space.FindStep> Finding,
    IReadOnlyList<Space.Snap> Snaps)
{
    /// <summary>How to find the place again, in sentences.</summary>
    public IReadOnlyList<Told> FindIt => Finding.Select(s => s.Text).ToArray();
}

/// <summary>A box in mm: its top left corner and size.</summary>
public sealed record Box(double X, double Y, double Width, double Height)
{
    /// <summary>The smallest box round both.</summary>
    public Box With(Box other)
    {
        var (x, y) = (Math.Min(X, other.X), Math.Min(Y, other.Y));
        return new Box(x, y, Math.Max(X + Width, other.X + other.Width) - x, Math.Max(Y + Height, other.Y + other.Height) - y);
    }
}

/// <summary>
/// One line of an element with its stitches; a dot made as a knot is a line of one point. <paramref name="WishedMm"/> is the stitch length
/// wished for on straights. Where a motif is repeated
/// <paramref name="Copy"/> says which of them the line belongs to; -1 is what joins them. <paramref name="Id"/> names it among all parts of
/// the plan, and stays when another element comes or goes; <paramref name="Shape"/> is the shape of the design that it makes, or helps to
/// make.
/// </summary>
public sealed record Part(
    string Role,
    string Letter,
    int LetterIndex,
    string Stitch,
    Materials.Thread Thread,
    double LineWidthMm,
    IReadOnlyList<Pt> LineMm,
    bool Closed,
    Sewn Stitches,
    double WishedMm = 0,
    int Copy = 0,
    string Id = "",
    string Shape = "")
{
    /// <summary>What it comes to where it fills an area; its line is then the outer edge.</summary>
    public Stitches.InAreas.Filling? Filling { get; init; }

    /// <summary>Where it lies among the parts of its element: higher over lower.</summary>
    public int Layer { get; init; }

    /// <summary>Stitches that a thread begins with anew within it, because the way to them is too long.</summary>
    public IReadOnlyList<int> Breaks { get; init; } = [];

    /// <summary>The colour of each stitch where its thread turns colour along its length; none where it does not.</summary>
    public IReadOnlyList<string> Tones { get; init; } = [];

    public int Strands => Thread.Ply;

    public string Colour => Thread.Colour;
}

/// <summary>
/// A wording or a motif as planned. The height of a motif stands for the capitals of words. <paramref name="Design"/> is all there is to be
/// seen of it, whatever makes it.
/// </summary>
public sealed record PlannedElement(
    string Id,
    string Text,
    IReadOnlyList<string> Rows,
    string Alphabet,
    double CapHeightMm,
    Pt BaselineMm,
    Pt CentreMm,
    Box BoxMm,
    double LineWidthMm,
    double LargestCapHeightMm,
    double OverflowsMm,
    bool Reads,
    IReadOnlyList<Concern> Concerns,
    IReadOnlyList<Part> Parts,
    string Arrangement = "straight",
    string? Motif = null,
    IReadOnlyList<LetterReading>? Letters = null,
    Design? Design = null)
{
    /// <summary>Whether it is a motif and not a wording; its text is then what it is called.</summary>
    public bool IsMotif => Motif is not null;

    /// <summary>The layer it was given; null where nobody said.</summary>
    public int? Layer { get; init; }

    /// <summary>What it is made in where that is not thread alone; its parts are then what is stitched of it, if anything.</summary>
    public string? Craft { get; init; }

    /// <summary>Whether it is worked with needle and thread, be it in part.</summary>
    public bool Sewn => Crafts.AllCrafts.Find(Craft) switch
    {
        null or { Keeps: Crafts.Kept.All } => true,
        { Keeps: Crafts.Kept.Lines } => Parts.Count > 0,
        _ => false,
    };

    /// <summary>The shapes of it that are sewn with beads while the rest is stitched, each with the colour of its beads.</summary>
    public IReadOnlyDictionary<string, string> Beaded { get; init; } = new Dictionary<string, string>();

    /// <summary>The larger side of one motif as it is planned, mm, before any of its copies is set out otherwise.</summary>
    public double CopyMm { get; init; }

    /// <summary>What one of it is called where it is a motif that stands there several times; else its text.</summary>
    public string One { get; init; } = Text;
}

/// <summary>How the cloth is held.</summary>
public sealed record PlannedHooping(School School, IReadOnlyList<HoopPlacing> Hoops, int LowerBound);

/// <summary>
/// One place of a piece that has several: its key (see <see cref="Jobs.Places"/>), what its zone is called, and its plan. Its first
/// length of thread and its first placing are so many of the whole piece's; what <paramref name="Stands"/> is finished and no work.
/// </summary>
public sealed record PlannedPlace(string Key, string Zone, string Name, bool Stands, bool Main, Plan Plan, int RunsBefore, int HoopsBefore);

/// <summary>One step of the transfer, with how long to wait after it.</summary>
public sealed record TransferStep(Told Do, double WaitMinutes);

/// <summary>The plan of one piece: everything a page, a sheet or the door tells.</summary>
public sealed record Plan(
    DateOnly Today,
    string Title,
    PlannedItem Item,
    PlannedSpace Space,
    IReadOnlyList<PlannedElement> Elements,
    Transferred Transfer,
    PlannedHooping Hooping,
    IReadOnlyList<ThreadNeed> Threads,
    IReadOnlyList<RouteRow> Route,
    IReadOnlyList<Operation> Work,
    Timed Time,
    Care Care,
    IReadOnlyList<ProofLetter> Proof,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<string> SetAside,
    IReadOnlyList<Caution> Cautions)
{
    /// <summary>What other crafts make of it, in the order it is made.</summary>
    public IReadOnlyList<Crafts.CraftPart> CraftParts { get; init; } = [];

    /// <summary>
    /// The places of the piece, each with a plan of its own in the frame of its own face; none where all lies at one place. The plan itself
    /// then holds what they come to together: elements, threads, route, work and time of all, each choice marked with its place, while
    /// space and transfer are those of the main place.
    /// </summary>
    public IReadOnlyList<PlannedPlace> Places { get; init; } = [];

    /// <summary>The plan of one place; of the main one where there is no such place, and the plan itself where there is only one.</summary>
    public Plan At(string? place) => (Places.FirstOrDefault(p => p.Key == place) ?? Places.FirstOrDefault(p => p.Main))?.Plan ?? this;

    /// <summary>The place an operation of the whole is done at; null for what is done for all, and where there is only one.</summary>
    public PlannedPlace? PlaceOf(Operation operation) => Places.Count == 0 || PlacesWork.IsForAll(operation) ? null
        : operation.Id.Place is { } key ? Places.FirstOrDefault(p => p.Key == key)
        : operation.Id.Element is { } element ? Places.FirstOrDefault(p => p.Plan.Elements.Any(e => e.Id == element))
        : Places.FirstOrDefault(p => p.Main);

    /// <summary>The plan an element is drawn in.</summary>
    public Plan Of(string element) => Places.FirstOrDefault(p => p.Plan.Elements.Any(e => e.Id == element))?.Plan ?? this;

    /// <summary>
    /// What was tried out for it and failed by a fault of ours, for the log: such a way or remedy is not offered. Never told to her.
    /// </summary>
    public IReadOnlyList<string> Troubles { get; init; } = [];

    /// <summary>
    /// Steps of reckoning it took with all that was tried out for it, of <see cref="Measures.Budget.OfAPlan"/>; for the log.
    /// </summary>
    public long Steps { get; init; }

    /// <summary>What of its minutes was learnt from her log.</summary>
    public LearntPace Learnt { get; init; } = LearntPace.None;

    /// <summary>How the layers lie at the operations that have more than one.</summary>
    public IReadOnlyList<SideView> SideViews { get; init; } = [];

    /// <summary>How it is looked after, a sentence each.</summary>
    public IReadOnlyList<Told> CareTold => Finishing.CareTelling.Tell(Care);

    /// <summary>Whether anything is worked with needle and thread.</summary>
    public bool Sewn => Elements.Any(e => e.Sewn);

    /// <summary>Elements as they lie, the undermost first; of one layer words lie over motifs.</summary>
    public IEnumerable<PlannedElement> AsTheyLie => Elements.OrderBy(e => e.Layer ?? 0).ThenBy(e => e.IsMotif ? 0 : 1);

    /// <summary>Version of the rules; it changes when the same job may come out otherwise.</summary>
    public const string Rules = "13";

    private const string NothingOut = "Nothing to take out: the line stays under the thread.";

    /// <summary>Steps that get the lines onto the cloth, each with the minutes to wait after it.</summary>
    public IReadOnlyList<TransferStep> TransferSteps => Work.Where(o => o.At == Station.Transfer)
        .SelectMany(o => o.Steps.Select((s, i) => new TransferStep(s, i + 1 == o.Steps.Count ? o.Wait?.Minutes ?? 0 : 0))).ToArray();

    /// <summary>How marks and stabiliser come out; never empty.</summary>
    public IReadOnlyList<Told> Removal => Work.Where(o => o.Kind == OpKind.Remove).SelectMany(o =>
        o.Steps).DefaultIfEmpty((Told)NothingOut).ToArray();

    /// <summary>What finishes it.</summary>
    public IReadOnlyList<Told> Finish => Work.Where(o => o.At == Station.Finish && o.Kind != OpKind.Remove).SelectMany(o =>
        o.Steps).ToArray();

    /// <summary>Choices of hers that have nothing to act on in this plan, by their decisions.</summary>
    public IReadOnlyList<string> Idle => SetAside.Take(SetAside.Count - NotFollowed.Count).ToArray();

    /// <summary>Habits and wishes of hers that could not be followed, each with why.</summary>
    public IReadOnlyList<Told> NotFollowed => Decisions.SelectMany(d => d.NotFollowed ?? []).ToArray();

    /// <summary>A decision by its id, or null.</summary>
    public Decision? Decision(string id) => Decisions.FirstOrDefault(d => d.Id == id);
}
