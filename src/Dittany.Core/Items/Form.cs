using Dittany.Core.Geometry;

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
}

/// <summary>
/// Seam, hem, button, print: an area the work keeps clear of, in the frame of its face. <paramref name="SeenAs"/> is the line a person sees of it: its seam or stitching;
/// null where the area itself is seen.
/// </summary>
public sealed record Obstacle(string Id, string Name, ObstacleKind Kind, IReadOnlyList<Pt> Ring, IReadOnlyList<Pt>? SeenAs = null);

/// <summary>Something a person can find by eye, finger or fold: a line of the item, with its name.</summary>
public sealed record Landmark(string Id, string Name, Pt From, Pt To);

/// <summary>What of the words stands on an anchor: the last row's baseline, the middle of the x-height band, or the top of the first row's capitals.</summary>
public enum Stands
{
    OnBaseline,
    OnMiddle,
    OnTop,
}

/// <summary>Where work usually goes in a zone: the anchor in the frame of the face, and what stands on it.</summary>
public sealed record UsualPlace(string ChoiceId, string Text, Pt AnchorMm, Stands Stands, IReadOnlyList<string> Because, string Source);

/// <summary>
/// Usual lettering in a zone, mm: capitals from and to, and up to how much of the field's width. <paramref name="MostWidthMm"/> holds at any size. A monogram, up to
/// three capitals, may be larger.
/// </summary>
public sealed record UsualLettering(
    double LeastCapMm, double MostCapMm, double Share, double MostWidthMm, string WidthReason, string Source, double? MonogramLeastMm = null, double? MonogramMostMm = null);

/// <summary>
/// How the place is found without a computer: the folds that make the centre line, and the two landmarks measured from. With <paramref name="FromEdge"/> the centre line is
/// an edge that is measured from, not a crease to measure along.
/// </summary>
public sealed record Finding(IReadOnlyList<string> Folds, string CentreId, string LevelId, string LevelCheck, bool FromEdge = false);

/// <summary>A named part of the item where work can go. <paramref name="EdgeReason"/> is a whole sentence on what is kept free at its edges.</summary>
public sealed record Zone(
    string Id, string Name, IReadOnlyList<Pt> Ring, double EdgeAllowanceMm, string EdgeReason, UsualPlace Usual, UsualLettering Lettering, Finding Finding);

/// <summary>A usual size of a form: what it is called and the item's two governing measures in mm, as its form tells.</summary>
public sealed record FormSize(string Id, string Name, double WidthMm, double HeightMm, string Source, bool Lined = false);

/// <summary>
/// What a thing is for, where that steers a rule: <paramref name="Handled"/> is used and washed so that loops behind are caught; <paramref name="NextToSkin"/> is worn on it;
/// <paramref name="SeenOutdoors"/> shows its words to strangers; <paramref name="MadeUp"/> is closed so that no light gets behind.
/// </summary>
public sealed record FormUse(bool Handled, bool NextToSkin, bool SeenOutdoors, bool MadeUp);

/// <summary>An opening a ring must go in by: its name and how wide the tube lies flat.</summary>
public sealed record Opening(string Name, double FlatWidthMm);

/// <summary>The largest hoop an item bears, nominal mm, and why.</summary>
public sealed record HoopLimit(double MostMm, string Because);

/// <summary>A catalogue entry. The frame of its face is told by <paramref name="Datum"/>. <paramref name="Build"/> draws the item at a size.</summary>
public sealed record Form(
    string Id,
    string Name,
    string Face,
    string Datum,
    string UsualCloth,
    string UsualColour,
    string UsualWearer,
    FormUse Use,
    IReadOnlyList<FormSize> Sizes,
    string UsualSize,
    IReadOnlyList<(string Id, string Name)> Zones,
    Func<FormSize, Drawn> Build)
{
    /// <summary>The form drawn at one of its sizes, by the size's id.</summary>
    public Drawn At(string sizeId) => Build(Sizes.First(s => string.Equals(s.Id, sizeId, StringComparison.Ordinal)));
}

/// <summary>
/// A form at a size: outline, zones, obstacles and landmarks in millimetres, in the frame of the face. <paramref name="Behind"/> are pieces seen beside the face that nothing
/// is worked on: straps, a loop.
/// </summary>
public sealed record Drawn(
    IReadOnlyList<Pt> Outline,
    IReadOnlyList<Zone> Zones,
    IReadOnlyList<Obstacle> Obstacles,
    IReadOnlyList<Landmark> Landmarks,
    IReadOnlyList<IReadOnlyList<Pt>> Behind,
    Opening? Opening = null,
    HoopLimit? HoopLimit = null)
{
    public Landmark Landmark(string id) => Landmarks.First(l => string.Equals(l.Id, id, StringComparison.Ordinal));
}
