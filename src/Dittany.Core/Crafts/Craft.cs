using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts;

/// <summary>
/// What a craft is judged against: the cloth, the item, who has it, whether it can lie flat on a table, and whether there is an iron.
/// </summary>
public sealed record CraftGround(Cloth Cloth, Form Form, Worn Worn, bool Stuffed, bool TwoLayers, bool Iron);

/// <summary>
/// Something to be made in one colour: an area in mm, with the shape of the design it comes from. Bottom first. <paramref name="Line"/>: it
/// was drawn as a line, and is as wide as the craft makes lines.
/// </summary>
public sealed record CraftPiece(string Shape, string Role, Region Area, string Colour, bool Line)
{
    /// <summary>The line itself, mm; one place for a point; empty for an area.</summary>
    public IReadOnlyList<Pt> AlongMm { get; init; } = [];
}

/// <summary>What is asked of a craft: the pieces of one element, how high it is, and what it is called.</summary>
public sealed record CraftQuestion(string Element, string Called, bool IsMotif, double HighMm, IReadOnlyList<CraftPiece> Pieces,
    CraftGround Ground)
{
    /// <summary>The bead it is sewn with; null takes that of its height.</summary>
    public Bead? Bead { get; init; }

    /// <summary>Where the rest of it is stitched: the lines of that, mm, each with half its width. Nothing is sewn onto them.</summary>
    public IReadOnlyList<(IReadOnlyList<Pt> LineMm, double HalfMm)> Stitched { get; init; } = [];

    /// <summary>Whether it is a part among stitches: then beads alone fill it, in rounds from its edge inward.</summary>
    public bool Part { get; init; }

    /// <summary>As it stands in a sentence: the songbird, “Oda”.</summary>
    public string Named => IsMotif ? $"the {Called}" : Called;
}

/// <summary>
/// About how much there is to make, mm and mm²: areas with the length of their edges, lines, how many pieces and colours, how high it is.
/// Found out without any overlay, so that every plan can compare its crafts.
/// </summary>
public sealed record CraftSize(double AreaMm2, double EdgeMm, double LineMm, int Pieces, int Colours, double HighMm, bool Letter);

/// <summary>
/// What a craft makes in one colour or of one piece: its rings under the even-odd rule, mm; in a stencil the bridges that stand in it; when
/// its turn is; and how much of what it takes.
/// </summary>
public sealed record CraftPart(string Id, string Craft, string Element, string Role, string Colour, int Order, Region ShapeMm, Use Amount)
{
    public IReadOnlyList<Region> BridgesMm { get; init; } = [];

    /// <summary>So many pieces of film would have fallen out without bridges.</summary>
    public int Islands { get; init; }
}

/// <summary>What comes of a craft for one element: its operations in their order, and care for whoever gets the piece.</summary>
public sealed record Crafted(
    IReadOnlyList<CraftPart> Parts, IReadOnlyList<Operation> Work, IReadOnlyList<Caution> Cautions, IReadOnlyList<Concern> Concerns,
        IReadOnlyList<CareLimit> Care, IReadOnlyList<Told> Because);

/// <summary>Why a craft is not for something: when, why, and what would do. A published rule, common practice, or from memory.</summary>
public sealed record CraftRule(string Name, Func<CraftGround, bool> When, Func<CraftGround, Told> Why, string Cure, string Source);

/// <summary>What of an element is stitched all the same.</summary>
public enum Kept
{
    Nothing,

    /// <summary>Its lines and points; its areas are made otherwise.</summary>
    Lines,

    /// <summary>All of its lines and edges.</summary>
    All,
}

/// <summary>
/// One way to get a design onto cloth other than thread. It judges itself against what it is for, and plans its parts, amounts, operations
/// with their waits, cautions and care. Holds nothing that changes.
/// </summary>
public interface ICraft
{
    string Id { get; }

    /// <summary>As it stands in a list of choices.</summary>
    string Name { get; }

    /// <summary>How it washes, how it feels, and what cannot be undone, in one breath.</summary>
    string Manner { get; }

    IReadOnlyList<CraftRule> Against { get; }

    Kept Keeps => Kept.Nothing;

    /// <summary>What is done to a piece in it, as it follows on "it is".</summary>
    string Done { get; }

    /// <summary>It comes when all that is stitched is finished, not before the needle.</summary>
    bool ComesLast => false;

    /// <summary>How far what lies under another piece reaches beneath it, mm.</summary>
    double TuckMm => Designs.Design.TuckMm;

    /// <summary>How wide a drawn line becomes in it, mm, by the height of the whole.</summary>
    double LineMm(double highMm, bool letter);

    /// <summary>What these very pieces lack for it; null where nothing.</summary>
    string? Lacks(CraftSize size) => null;

    /// <summary>About how many minutes of hands-on work the pieces come to.</summary>
    double Minutes(CraftSize size);

    Crafted Make(CraftQuestion question);
}
