using Dittany.Core.Geometry;
using Dittany.Core.Planning;

namespace Dittany.Core.Jobs;

/// <summary>
/// One element of a job as the maker asks for it: a wording or a motif. Null members are decided. Lengths in mm, the centre in the frame of
/// the zone's face, turns in degrees clockwise.
/// </summary>
public abstract record JobElement(
    string Id,
    string? Stitch,
    int? Strands,
    string? Colour,
    string? Arrangement,
    double? WidthMm,
    Pt? CentreMm,
    double? TurnDegrees)
{
    /// <summary>
    /// What it is stitched with: an id of <see cref="Materials.ThreadKinds"/>; null leaves it to the plan, which takes stranded cotton.
    /// </summary>
    public string? Thread { get; init; }

    /// <summary>What is wished for its parts: of a wording for its areas. The later before the earlier.</summary>
    public IReadOnlyList<PartAsked> ByPart { get; init; } = [];

    /// <summary>The colour of the thread that goes round or through a line which is stitched already; null is that of the line.</summary>
    public string? SecondColour { get; init; }

    /// <summary>Higher lies over lower; null is 0. Of one layer words lie over motifs, and a later element over an earlier one.</summary>
    public int? Layer { get; init; }

    /// <summary>What it is made in: an id of <see cref="Crafts.AllCrafts"/>; null leaves it to the plan, which takes thread.</summary>
    public string? Craft { get; init; }

    /// <summary>The zone it lies in, where that is not the usual one of the job.</summary>
    public string? Zone { get; init; }
}

/// <summary>One wording. A height or a width may be wished, not both.</summary>
public sealed record TextElement(
    string Id,
    string Text,
    string? Alphabet = null,
    string? Stitch = null,
    int? Strands = null,
    string? Colour = null,
    string? Arrangement = null,
    double? CapHeightMm = null,
    int? Rows = null,
    Pt? CentreMm = null,
    double? RadiusMm = null,
    string? Reading = null,
    double? TurnDegrees = null,
    string? Motif = null,
    string? MotifPlace = null,
    int? MotifCount = null,
    double? WidthMm = null) : JobElement(Id, Stitch, Strands, Colour, Arrangement, WidthMm, CentreMm, TurnDegrees)
{
    /// <summary>What is wished for single letters, the later before the earlier.</summary>
    public IReadOnlyList<LetterAsked> Letters { get; init; } = [];
}

/// <summary>
/// One motif. Width and height are the most the whole may take, its proportions kept. <paramref name="Count"/> is how many times it is
/// drawn, <paramref name="Parts"/> how many petals or leaves it has. <paramref name="Drawing"/> is her own, kept whole in the job; its name
/// then stands for the motif.
/// </summary>
public sealed record MotifElement(
    string Id,
    string Motif,
    double? WidthMm = null,
    double? HeightMm = null,
    string? Arrangement = null,
    int? Count = null,
    double? TurnDegrees = null,
    Pt? CentreMm = null,
    string? Stitch = null,
    int? Strands = null,
    string? Colour = null,
    int? Parts = null,
    double? LeanDegrees = null,
    bool? Mirrored = null,
    double? WobblePercent = null,
    int? Seed = null,
    bool? Middle = null,
    OwnDrawing? Drawing = null) : JobElement(Id, Stitch, Strands, Colour, Arrangement, WidthMm, CentreMm, TurnDegrees)
{
    /// <summary>How its copies are set out by eye; null keeps them in step.</summary>
    public Motifs.Loosely? Loosely { get; init; }
}

/// <summary>
/// What is wished for one letter: its <paramref name="Index"/> in the text, blanks counted, from 0. Null members are as in the whole word.
/// </summary>
public sealed record LetterAsked(int Index, string? Stitch = null, int? Strands = null, string? Colour = null);

/// <summary>
/// What is wished for the parts of one role: of all copies, or of one. Null members are decided. A stitch may fill what is an area; a
/// direction is in degrees clockwise from level.
/// </summary>
public sealed record PartAsked(string Role, int? Copy = null, string? Stitch = null, int? Strands = null, string? Colour = null,
    double? DirectionDegrees = null)
{
    /// <summary>What a wish calls beads where it would name a stitch.</summary>
    public const string Beads = "bead";

    /// <summary>What it is stitched with: an id of <see cref="Materials.ThreadKinds"/>; null takes the thread of the whole.</summary>
    public string? Thread { get; init; }

    /// <summary>How its stitches lie where they do not lie one way: an id of <see cref="Geometry.Direction.Known"/>.</summary>
    public string? Direction { get; init; }

    /// <summary>
    /// Lines its stitches lie along, in the frame of one motif: shares of its larger side from its middle, before it is turned and
    /// repeated.
    /// </summary>
    public IReadOnlyList<IReadOnlyList<Pt>> DirectionLines { get; init; } = [];

    /// <summary>
    /// Colours a fill goes through, two to four: rows from the foot to the tip, knots and seeds mixed. The first is also that of its edge.
    /// </summary>
    public IReadOnlyList<string> Colours { get; init; } = [];
}
