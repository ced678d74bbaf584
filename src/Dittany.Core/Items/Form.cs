using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>What kind of thing the work keeps clear of.</summary>
public enum ObstacleKind
{
    TopstitchedHem,
    Print,
}

/// <summary>Seam, hem, button, print: an area the work keeps clear of, in the frame of its face.</summary>
public sealed record Obstacle(string Id, string Name, ObstacleKind Kind, IReadOnlyList<Pt> Ring, bool Bulky);

/// <summary>Something a person can find by eye, finger or fold: a line of the item, with its name.</summary>
public sealed record Landmark(string Id, string Name, Pt From, Pt To);

/// <summary>A named part of the item where work can go.</summary>
public sealed record Zone(string Id, string Name, IReadOnlyList<Pt> Ring, double EdgeAllowanceMm, string EdgeReason);

/// <summary>A usual size of a form: what it is called and the item's measures in mm.</summary>
public sealed record FormSize(string Id, string Name, double WidthMm, double HeightMm, string Source);

/// <summary>
/// A catalogue entry. The frame of its face is told by <paramref name="Datum"/>; usual lettering on it reaches <paramref name="UsualMostCapMm"/>. <paramref name="Build"/> draws the item at a width and height.
/// </summary>
public sealed record Form(
    string Id,
    string Name,
    string Face,
    string Datum,
    string UsualCloth,
    string UsualColour,
    IReadOnlyList<FormSize> Sizes,
    string UsualSize,
    IReadOnlyList<(string Id, string Name)> Zones,
    double UsualMostCapMm,
    Func<double, double, Drawn> Build);

/// <summary>A form at a size: outline, zones, obstacles and landmarks in millimetres, in the frame of the face.</summary>
public sealed record Drawn(IReadOnlyList<Pt> Outline, IReadOnlyList<Zone> Zones, IReadOnlyList<Obstacle> Obstacles, IReadOnlyList<Landmark> Landmarks);
