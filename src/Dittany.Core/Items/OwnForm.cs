using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>A zone of an own form: its ring in mm of the face, and what is kept free at its edges.</summary>
public sealed record OwnZone(string Id, string Name, IReadOnlyList<Pt> RingMm, double EdgeAllowanceMm = 5);

/// <summary>An obstacle of an own form.</summary>
public sealed record OwnObstacle(string Id, string Name, ObstacleKind Kind, IReadOnlyList<Pt> RingMm);

/// <summary>
/// An item of the maker's own, measured by hand, traced from a photograph or copied from the cupboard: plain data, kept whole within each job that uses it, so that a later
/// change never alters a piece begun. Points are mm, x right, y down. <paramref name="Shape"/> is how it was measured; <paramref name="MeasuredMm"/> her numbers;
/// <paramref name="OpeningMm"/> how wide a tube lies flat; <paramref name="WithinMm"/> how far off a traced length may be.
/// </summary>
public sealed record OwnForm(
    string Id,
    string Name,
    string Shape,
    IReadOnlyDictionary<string, double> MeasuredMm,
    IReadOnlyList<Pt> OutlineMm,
    IReadOnlyList<OwnZone> Zones,
    IReadOnlyList<OwnObstacle> Obstacles,
    string Cloth = "quilting-cotton",
    string Colour = "#f1ede2",
    string Wearer = "nobody",
    FormUse? Use = null,
    double? OpeningMm = null,
    bool Lined = false,
    Picture? Picture = null,
    double? WithinMm = null)
{
    public const int MostZones = 20;
    public const int MostObstacles = 100;
    public const int MostPoints = 2000;
    public const double LeastMm = 15;
    public const double MostMm = 5000;

    /// <summary>Everything on it drawn out or in by a factor, its picture with it; numbers she measured stay as she measured them.</summary>
    public OwnForm Scaled(double by)
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

    /// <summary>How wide it lies, mm.</summary>
    public double WidthMm => OutlineMm.Max(p => p.X) - OutlineMm.Min(p => p.X);

    /// <summary>A copy of a catalogue form's face at a size, to be changed.</summary>
    public static OwnForm CopyOf(Form form, FormSize size, Drawn drawn, string id, string name) => new(
        id, name, "copied", new Dictionary<string, double>(StringComparer.Ordinal) { [form.Width.Id] = size.WidthMm, [form.Height.Id] = size.HeightMm }, drawn.Outline,
        drawn.Zones.Select(z => new OwnZone(z.Id, z.Name, z.Ring, z.EdgeAllowanceMm)).ToArray(),
        drawn.Obstacles.Select(o => new OwnObstacle(o.Id, o.Name, o.Kind, o.Ring)).ToArray(), form.UsualCloth, form.UsualColour, form.UsualWearer, form.Use, drawn.Opening?.FlatWidthMm, size.Lined, drawn.Picture);
}

/// <summary>Something in an own form that cannot be: which member, what is wrong, what would do.</summary>
public sealed record FormFault(string Member, string Detail, string Try);
