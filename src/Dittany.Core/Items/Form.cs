using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>What kind of thing the work keeps clear of.</summary>
public enum ObstacleKind
{
    FlatSeam,
    BagSide,
    TopstitchedHem,
    RolledHem,
    NeckRib,
    ButtonEdge,
    Popper,
    ZipTeeth,
    PocketEdge,
    StrapEnd,
    Print,
    Drawcord,
    RawEdge,
    Stitched,
    Knotted,
}

/// <summary>
/// Seam, hem, button, print: an area the work keeps clear of, in the frame of its face. <paramref name="SeenAs"/> is the line a person sees
/// of it: its seam or stitching; null where the area itself is seen.
/// </summary>
public sealed record Obstacle(string Id, string Name, ObstacleKind Kind, IReadOnlyList<Pt> Ring, IReadOnlyList<Pt>? SeenAs = null);

/// <summary>
/// How a landmark is found: an edge that is seen, stitching that is seen, a seam that is felt, or a crease that is folded first.
/// </summary>
public enum Found
{
    Edge,
    Stitching,
    Seam,
    Fold,
}

/// <summary>
/// How a crease is made: the whole sentence that says so, the two landmarks laid on each other (the crease is half-way between them; both
/// empty where the item's own sides are), and how many folds that takes.
/// </summary>
public sealed record Folding(string How, string OneId, string OtherId, int Folds = 1);

/// <summary>
/// Something a person can find by eye, finger or fold: a straight line of the item, with its name as it stands in a sentence.
/// </summary>
public sealed record Landmark(string Id, string Name, Pt From, Pt To, Found Found = Found.Edge, Folding? Folding = null);

/// <summary>
/// What of the words stands on an anchor: the last row's baseline, the middle of the x-height band, or the top of the first row's capitals.
/// </summary>
public enum Stands
{
    OnBaseline,
    OnMiddle,
    OnTop,
}

/// <summary>
/// Where work usually goes in a zone: the anchor in the frame of the face, what stands on it, and the landmark it is told from, where it is
/// told from one.
/// </summary>
public sealed record UsualPlace(string ChoiceId, Told Text, Pt AnchorMm, Stands Stands, IReadOnlyList<Told> Because, string Source,
    string? From = null);

/// <summary>
/// Usual lettering in a zone, mm: capitals from and to, and up to how much of the field's width. <paramref name="MostWidthMm"/> holds at
/// any size. A monogram, up to three capitals, may be larger.
/// </summary>
public sealed record UsualLettering(
    double LeastCapMm, double MostCapMm, double Share, double MostWidthMm, Told WidthReason, string Source, double? MonogramLeastMm = null,
        double? MonogramMostMm = null);

/// <summary>
/// A named part of the item where work can go. <paramref name="EdgeReason"/> is a whole sentence on what is kept free at its edges.
/// <paramref name="Ignores"/> are obstacles that are the zone itself, such as the band words are put on. <paramref name="Hidden"/> words
/// are not seen while the item is used. A limit or an opening of its own stands before that of the face.
/// </summary>
public sealed record Zone(
    string Id,
    string Name,
    IReadOnlyList<Pt> Ring,
    double EdgeAllowanceMm,
    Told EdgeReason,
    UsualPlace Usual,
    UsualLettering Lettering,
    IReadOnlyList<string>? Ignores = null,
    string? FindNote = null,
    bool Hidden = false,
    HoopLimit? HoopLimit = null,
    Opening? Opening = null)
{
    /// <summary>Whether the back of the work is seen while the item is used.</summary>
    public bool BackSeen { get; init; }
}

/// <summary>A usual size of a form: what it is called and the item's two governing measures in mm, as its form tells.</summary>
public sealed record FormSize(string Id, Told Name, double WidthMm, double HeightMm, string Source, bool Lined = false);

/// <summary>A number she can measure in seconds: its name, how it is taken, and what a real item can have, mm.</summary>
public sealed record Measure(string Id, string Name, string How, double LeastMm, double MostMm);

/// <summary>
/// What a thing is for, where that steers a rule: <paramref name="Handled"/> is used and washed so that loops behind are caught;
/// <paramref name="NextToSkin"/> is worn on it;
/// <paramref name="SeenOutdoors"/> shows its words to strangers; <paramref name="MadeUp"/> is closed so that no light gets behind.
/// </summary>
public sealed record FormUse(bool Handled, bool NextToSkin, bool SeenOutdoors, bool MadeUp);

/// <summary>An opening a ring must go in by: its name and how wide the tube lies flat.</summary>
public sealed record Opening(string Name, double FlatWidthMm);

/// <summary>The largest hoop an item bears, nominal mm, and why. None at all where it is 0.</summary>
public sealed record HoopLimit(double MostMm, Told Because);

/// <summary>
/// A part that is turned over when worn. <paramref name="AsWorn"/> and <paramref name="Flat"/> say which side is seen then, and how it lies
/// to be stitched; the fold runs from
/// <paramref name="From"/> to <paramref name="To"/>, at the <paramref name="Side"/> of the face; <paramref name="FlatOutline"/> is the
/// cloth laid out flat with the words the right way up, in the same frame.
/// </summary>
public sealed record FoldOver(string AsWorn, string Flat, Pt From, Pt To, IReadOnlyList<Pt> FlatOutline, FoldSide Side = FoldSide.Top)
{
    /// <summary>How it lies to be stitched while it is not sewn together yet; null where that is the same.</summary>
    public string? Unsewn { get; init; }

    /// <summary>How a sheet is turned when it is laid on.</summary>
    public string Towards => Side == FoldSide.Top ? "Its top goes towards the fold." : "Its lower edge goes towards the fold.";
}

/// <summary>One side of an item as seen towards the maker. Its frame is told by <paramref name="Datum"/>.</summary>
public sealed record Face(string Id, string Name, string Datum, FoldOver? Fold = null);

/// <summary>
/// A face of a form at a size: outline, zones, obstacles and landmarks in millimetres, in the frame of the face. <paramref name="Behind"/>
/// are pieces seen beside the face that nothing is worked on: straps, a brim, a loop; <paramref name="Over"/> are pieces sewn on it:
/// pockets, yokes.
/// </summary>
public sealed record Drawn(
    Face Face,
    IReadOnlyList<Pt> Outline,
    IReadOnlyList<Zone> Zones,
    IReadOnlyList<Obstacle> Obstacles,
    IReadOnlyList<Landmark> Landmarks,
    IReadOnlyList<IReadOnlyList<Pt>> Behind,
    Opening? Opening = null,
    HoopLimit? HoopLimit = null,
    IReadOnlyList<IReadOnlyList<Pt>>? Over = null,
    Picture? Picture = null)
{
    /// <summary>Whether it is stuffed already: nothing gets behind it.</summary>
    public bool Stuffed { get; init; }

    public Landmark Landmark(string id) => Landmarks.First(l => string.Equals(l.Id, id, StringComparison.Ordinal));
}

/// <summary>A photograph of the face, seen square on: its name in the store, and where it lies in the frame of the face, mm.</summary>
public sealed record Picture(string Id, double XMm, double YMm, double WidthMm, double HeightMm);

/// <summary>Shelves of the cupboard.</summary>
public enum Shelf
{
    Own,
    Wear,
    Carry,
    Table,
    House,
    Child,
    Keepsake,
}

/// <summary>
/// A catalogue entry. <paramref name="Build"/> draws the item at a size, face by face. <paramref name="Width"/> is the one number that
/// scales it to hers;
/// <paramref name="Height"/> may be given too.
/// </summary>
public sealed record Form(
    string Id,
    string Name,
    Shelf Shelf,
    string UsualCloth,
    string UsualColour,
    string UsualWearer,
    FormUse Use,
    IReadOnlyList<FormSize> Sizes,
    string UsualSize,
    Measure Width,
    Measure Height,
    Func<FormSize, IReadOnlyList<Drawn>> Build)
{
    /// <summary>What else people call it.</summary>
    public IReadOnlyList<string> AlsoCalled { get; init; } = [];

    /// <summary>How it is cut where it is worked as loose cloth; null for what is bought ready made.</summary>
    public LooseCloth? Loose { get; init; }

    /// <summary>Whether makers sew it themselves from its pattern, so that it may be stitched flat before that.</summary>
    public bool ByPattern { get; init; }

    /// <summary>Whether it is made to be kept: so it is washed by hand and finished for good.</summary>
    public bool Keepsake { get; init; } = Shelf == Shelf.Keepsake;

    /// <summary>Where its measures come from, where that is not a size: her own tape, her own photograph.</summary>
    public string? Measured { get; init; }

    /// <summary>All zones of all faces, the usual one first.</summary>
    public IReadOnlyList<(string Id, string Name)> Zones => _zones.Of((Build, Sizes, UsualSize), static of =>
        of.Build(of.Sizes.First(s => s.Id == of.UsualSize)).SelectMany(d => d.Zones).Select(z => (z.Id, z.Name)).ToArray());

    private readonly Following<(Func<FormSize, IReadOnlyList<Drawn>> Build, IReadOnlyList<FormSize> Sizes, string UsualSize),
        IReadOnlyList<(string Id, string Name)>> _zones = new();

    /// <summary>The face with a zone on it, or the first, at one of the form's sizes, by the size's id.</summary>
    public Drawn At(string sizeId, string? zone = null) =>
        At(Sizes.First(s => string.Equals(s.Id, sizeId, StringComparison.Ordinal)), zone);

    /// <summary>The face with a zone on it, or the first.</summary>
    public Drawn At(FormSize size, string? zone)
    {
        var faces = Build(size);
        var drawn = faces.FirstOrDefault(d => d.Zones.Any(z => string.Equals(z.Id, zone, StringComparison.Ordinal))) ?? faces[0];
        return Loose is null ? drawn : ClothAllowance.Undone(Loose == LooseCloth.Pattern ? ClothAllowance.Unsewn(drawn) : drawn);
    }

    /// <summary>
    /// The size scaled to measures of hers: the nearest size by what she measured, drawn out to it; the measure she left out keeps its
    /// proportion. Null where she measured nothing. <paramref name="sizeId"/> is the size she named, or null.
    /// </summary>
    public FormSize? Scaled(IReadOnlyDictionary<string, double>? measuredMm, string? sizeId)
    {
        double? w = measuredMm is not null && measuredMm.TryGetValue(Width.Id, out var width) ? width : null;
        double? h = measuredMm is not null && measuredMm.TryGetValue(Height.Id, out var height) ? height : null;
        if (w is null && h is null)
        {
            return null;
        }

        var near = Sizes.FirstOrDefault(s => s.Id == sizeId)
            ?? Sizes.OrderBy(s => Math.Abs((w ?? s.WidthMm) - s.WidthMm) + Math.Abs((h ?? s.HeightMm) - s.HeightMm)).ThenBy(s =>
                s.Id != UsualSize).First();
        var (wide, high) = (w ?? near.WidthMm * h.Sure() / near.HeightMm, h ?? near.HeightMm * w.Sure() / near.WidthMm);
        return near with
        {
            WidthMm = wide,
            HeightMm = high,
            Name = $"yours, {Say.Length(wide)} × {Say.Length(high)}",
            Source = "measured by the maker"
        };
    }
}
