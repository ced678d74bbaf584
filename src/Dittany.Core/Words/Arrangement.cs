using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>How words are laid out.</summary>
public enum WordWay
{
    Straight,
    Spaced,
    Arc,
    Ring,
    Slope,
    Corner,
    Edge,
    Monogram,
}

/// <summary>
/// A way of laying words out. An arc stands up in the middle like a hill, or hangs like a bowl where it is read from
/// <paramref name="Inside"/>; round a ring the tops of the letters point outward, or inward. <paramref name="RadiusMm"/> is that of the
/// base line of the first row, or null where it follows from the words.
/// <paramref name="TurnRadians"/> turns slopes, corners and words along a straight edge, clockwise on a page. <paramref name="PathMm"/> is
/// an edge that bends, from left to right, about the anchor.
/// </summary>
public sealed record Arrangement(WordWay Way, bool Inside = false, double? RadiusMm = null, double TurnRadians = 0,
    IReadOnlyList<Pt>? PathMm = null)
{
    public static Arrangement Straight { get; } = new(WordWay.Straight);

    /// <summary>
    /// Least and usual radius of an arc in capital heights (from memory), and the angle an arc takes at most where the words say how round
    /// it is.
    /// </summary>
    public const double LeastArc = 2.5;

    public const double UsualArc = 4;

    public const double MostArcRadians = 1.9;

    /// <summary>A ring whose words fill less than this share of it is left open; one they fill more of is spread until it closes.</summary>
    public const double ClosesFrom = 0.6;

    /// <summary>Letters spaced wide stand so much further apart, in capital heights (from memory).</summary>
    public const double SpacedBy = 0.35;

    /// <summary>
    /// The middle one of three initials is so much larger than its neighbours, and initials stand so far apart, in capital heights (from
    /// memory).
    /// </summary>
    public const double MiddleInitial = 1.45;

    public const double InitialsApart = 0.3;

    /// <summary>Letters a monogram is made of at most.</summary>
    public const int MostInitials = 3;

    /// <summary>
    /// Whether the whole layout grows with the letters, so that its size can be found exactly; else every height is laid out anew.
    /// </summary>
    public bool GrowsWithLetters => RadiusMm is null && PathMm is null;

    public static IReadOnlyList<string> Ids { get; } = ["straight", "spaced", "arc", "ring", "slope", "corner", "edge", "monogram"];

    public string Id => Ids[(int)Way];
}

/// <summary>Where a drawing stands beside its words.</summary>
public enum OrnamentPlace
{
    Before,
    After,
    Above,
    Below,
    Between,
    Dot,
    Around,
}

/// <summary>
/// A drawing that goes with words and grows with them. <paramref name="Draw"/> makes it to fit a width and a height, both in capital
/// heights, about its own middle;
/// <paramref name="Name"/> is what it is called in a sentence.
/// </summary>
public sealed record Ornament(string Name, OrnamentPlace Place, Func<double, double, Figure> Draw);
