using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>A zone of an own form: its ring in mm of the face, and what is kept free at its edges.</summary>
public sealed record OwnZone(string Id, string Name, IReadOnlyList<Pt> RingMm, double EdgeAllowanceMm = 5);

/// <summary>An obstacle of an own form.</summary>
public sealed record OwnObstacle(string Id, string Name, ObstacleKind Kind, IReadOnlyList<Pt> RingMm);

/// <summary>Where a face is folded over when worn: at its top (a cuff, a collar, a flap) or at its lower edge (a turn-up).</summary>
public enum FoldSide
{
    Top,
    Bottom,
}

/// <summary>
/// One side of an own form, as seen with it towards the maker and, where it is folded over, as worn. Points are mm, x right, y down.
/// <paramref name="OpeningMm"/> is how wide a tube lies flat there; <paramref name="WithinMm"/> how far off a traced length may be.
/// </summary>
public sealed record OwnFace(
    string Id,
    string Name,
    IReadOnlyList<Pt> OutlineMm,
    IReadOnlyList<OwnZone> Zones,
    IReadOnlyList<OwnObstacle> Obstacles,
    double? OpeningMm = null,
    FoldSide? Folded = null,
    Picture? Picture = null,
    double? WithinMm = null)
{
    public const string FrontId = "front";

    /// <summary>The one side of an item that has no other.</summary>
    public static OwnFace Front(IReadOnlyList<Pt> outlineMm, IReadOnlyList<OwnZone> zones, IReadOnlyList<OwnObstacle> obstacles,
        double? openingMm = null) =>
        new(FrontId, "front", outlineMm, zones, obstacles, openingMm);

    /// <summary>How wide it lies, mm.</summary>
    public double WidthMm => OutlineMm.Max(p => p.X) - OutlineMm.Min(p => p.X);

    /// <summary>How high it lies, mm.</summary>
    public double HeightMm => OutlineMm.Max(p => p.Y) - OutlineMm.Min(p => p.Y);

    /// <summary>Everything on it drawn out or in by a factor, its picture with it.</summary>
    public OwnFace Scaled(double by)
    {
        IReadOnlyList<Pt> All(IReadOnlyList<Pt> ring) => ring.Select(p => p * by).ToArray();
        return this with
        {
            OutlineMm = All(OutlineMm),
            Zones = Zones.Select(z => z with { RingMm = All(z.RingMm) }).ToArray(),
            Obstacles = Obstacles.Select(o => o with { RingMm = All(o.RingMm) }).ToArray(),
            Picture = Picture is { } p ? new Picture(p.Id, p.XMm * by, p.YMm * by, p.WidthMm * by, p.HeightMm * by) : null,
        };
    }

    /// <summary>What is kept free at the edges of a place that is all of a side, until she says otherwise, mm (from memory).</summary>
    public const double UsualEdgeMm = 10;

    /// <summary>
    /// The side behind this one to begin with: the same outline seen from behind, with hems where they lie on this side, for a hem goes all
    /// round; all of it a place for words.
    /// </summary>
    public OwnFace Behind(string id, string name)
    {
        var (x0, x1) = (OutlineMm.Min(p => p.X), OutlineMm.Max(p => p.X));
        IReadOnlyList<Pt> Turned(IReadOnlyList<Pt> ring) => ring.Select(p => new Pt(x0 + x1 - p.X, p.Y)).Reverse().ToArray();
        var outline = Turned(OutlineMm);
        return new OwnFace(
            id, name, outline, [new OwnZone($"{id}-all", $"{name}, all of it", outline, UsualEdgeMm)],
            Obstacles.Where(o =>
                o.Kind is ObstacleKind.TopstitchedHem or ObstacleKind.RolledHem or ObstacleKind.RawEdge or ObstacleKind.BagSide).Select(
                o => o with { RingMm = Turned(o.RingMm) }).ToArray(), OpeningMm);
    }
}

/// <summary>
/// The catalogue's form an own one was copied from, and the measures it was copied at: what is still as it was there keeps its landmarks,
/// usual places and reasons.
/// </summary>
public sealed record OwnLike(string Form, string Size, double WidthMm, double HeightMm);

/// <summary>
/// An item of the maker's own, measured by hand, traced from a photograph or copied from the cupboard: plain data, kept whole within each
/// job that uses it, so that a later change never alters a piece begun. It has one face or several, the usual one first.
/// <paramref name="Shape"/> is how it was measured; <paramref name="MeasuredMm"/> her numbers.
/// </summary>
public sealed record OwnForm(
    string Id,
    string Name,
    string Shape,
    IReadOnlyDictionary<string, double> MeasuredMm,
    IReadOnlyList<OwnFace> Faces,
    string Cloth = "quilting-cotton",
    string Colour = "#f1ede2",
    string Wearer = "nobody",
    FormUse? Use = null,
    bool Lined = false,
    OwnLike? Like = null)
{
    public const int MostFaces = 8;
    public const int MostZones = 20;
    public const int MostObstacles = 100;
    public const int MostPoints = 2000;
    public const double LeastMm = 15;
    public const double MostMm = 5000;

    /// <summary>The face that is seen first.</summary>
    public OwnFace First => Faces[0];

    /// <summary>A face by its id, or the first.</summary>
    public OwnFace Face(string? id) => Faces.FirstOrDefault(f => f.Id == id) ?? First;

    /// <summary>This form with one of its faces changed.</summary>
    public OwnForm With(OwnFace face) => this with { Faces = Faces.Select(f => f.Id == face.Id ? face : f).ToArray() };

    /// <summary>Every face drawn out or in by a factor; numbers she measured stay as she measured them.</summary>
    public OwnForm Scaled(double by) => this with { Faces = Faces.Select(f => f.Scaled(by)).ToArray(), Like = by == 1 ? Like : null };

    /// <summary>Names a maker is likely to give one more side, tried in order.</summary>
    private static readonly (string Id, string Name)[] Sides = [("back", "back"), ("inside", "inside"), ("left-side", "left side"),
        ("right-side", "right side")];

    /// <summary>An id and a name for one more side: what a side is usually called, or its number.</summary>
    public (string Id, string Name) NextSide()
    {
        var numbered = Enumerable.Range(Faces.Count + 1, Faces.Count + 1).Select(n =>
            n.ToString(System.Globalization.CultureInfo.InvariantCulture)).Select(n => (Id: $"side-{n}", Name: $"side {n}"));
        return Sides.Concat(numbered).First(s => Faces.All(f => f.Id != s.Id && f.Name != s.Name));
    }

    /// <summary>
    /// This form scaled so that a face is as wide as her tape says, which counts more than the drawing. A face with a photograph of its own
    /// is scaled alone; one without takes all others without along, for they were drawn to the same numbers.
    /// </summary>
    public OwnForm ToTape(string face, double widthMm)
    {
        var of = Face(face);
        var by = widthMm / of.WidthMm;
        return of.Picture is not null ? With(of.Scaled(by)) : Scaled(by)
            with
        { Faces = Faces.Select(f => f.Picture is null ? f.Scaled(by) : f).ToArray() };
    }

    /// <summary>A copy of a catalogue form at a size with all its faces, to be changed.</summary>
    public static OwnForm CopyOf(Form form, FormSize size, string id, string name) => new(
        id, name, "copied", new Dictionary<string, double>(StringComparer.Ordinal)
        {
            [form.Width.Id] = size.WidthMm,
            [form.Height.Id] = size.HeightMm
        },
        form.Build(size).Select(Copy).ToArray(), form.UsualCloth, form.UsualColour, form.UsualWearer, form.Use, size.Lined,
            new OwnLike(form.Id, size.Id, size.WidthMm, size.HeightMm));

    private static OwnFace Copy(Drawn drawn) => new(
        drawn.Face.Id, drawn.Face.Name, drawn.Outline, drawn.Zones.Select(z =>
            new OwnZone(z.Id, z.Name, z.Ring, z.EdgeAllowanceMm)).ToArray(),
        drawn.Obstacles.Select(o => new OwnObstacle(o.Id, o.Name, o.Kind, o.Ring)).ToArray(), drawn.Opening?.FlatWidthMm,
            drawn.Face.Fold is null ? null : FoldSide.Top, drawn.Picture);
}

/// <summary>Something in an own form that cannot be: which member, what is wrong, what would do.</summary>
public sealed record FormFault(string Member, string Detail, string Try);
