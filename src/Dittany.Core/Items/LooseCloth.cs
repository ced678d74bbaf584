using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>How a piece of loose cloth is held and made up, which settles how large it is cut.</summary>
public enum LooseCloth
{
    Hooped,
    Framed,
    GatheredRound,
    Badge,
    SewnIn,
    Felt,

    /// <summary>A piece of something that is sewn together only when its stitching is done.</summary>
    Pattern,
}

/// <summary>What loose cloth is cut to, by how it will be held and made up.</summary>
public static class ClothAllowance
{
    /// <summary>Cloth to be hooped or framed is cut this much larger than the design all round: two inches (common practice).</summary>
    public const double HoopedMm = 50;

    /// <summary>A gathered round is cut this far beyond its edge all round (common practice).</summary>
    public const double GatheredMm = 35;

    /// <summary>
    /// A gathered round is cut so much larger first all round, and trimmed last (common practice: a ring has more to grip).
    /// </summary>
    public const double TrimmedMm = 15;

    /// <summary>
    /// A badge's blank is larger than the hoop that holds it by this much all round (from memory: to be gripped and to be drawn tight).
    /// </summary>
    public const double BadgeMm = 40;

    /// <summary>A patchwork seam: a quarter of an inch (common practice).</summary>
    public const double PatchworkMm = 6.35;

    /// <summary>Felt is cut after it is stitched; this much is left to hold it by (from memory).</summary>
    public const double FeltMm = 40;

    /// <summary>Cloth is cut to whole fives of a millimetre, never smaller.</summary>
    private const double StepMm = 5;

    /// <summary>
    /// By kind: how much is cut all round, why, what is done about the raw edge, and how what is made of it is usually washed, null where
    /// that hangs on its use. What hangs on a wall or is stuffed into wood is never washed; a badge is washed as the garment it sits on.
    /// </summary>
    private static readonly (LooseCloth Kind, double AroundMm, Told Because, Told RawEdge, string? Washed, string Source)[] Table =
    [
        (LooseCloth.Hooped, HoopedMm, $"{Say.Length(50)} all round go over the edge of the hoop and are laced or folded behind.",
            "Raw edges fray while you work: overcast them by hand, or fold a strip of tape over them.", "never", "common practice"),
        (LooseCloth.Framed, HoopedMm, $"{Say.Length(50)} all round go round the board and are laced behind.",
            "Raw edges fray while you work: overcast them by hand, or fold a strip of tape over them.", "never", "common practice"),
        (LooseCloth.GatheredRound, GatheredMm + TrimmedMm,
            $"{Say.Length(35)} beyond the edge all round are gathered under, and {Say.Length(15)} more are there to be held by. Cut the round "
                + $"only when the stitching is done: a square holds better.", $"The gathering thread runs {Say.Length(5)} inside the raw edge: close stitches, or it "
                + $"frays out.", "never", "common practice"),
        (LooseCloth.Badge, BadgeMm,
            $"{Say.Length(40)} all round are there to be gripped by the ring. The badge is cut out when it is stitched, and its rim "
                + $"overcast.", "The raw edge is cut away when the badge is cut out: leave it be.", "often", "from memory"),
        (LooseCloth.SewnIn, PatchworkMm + HoopedMm,
            $"A quarter of an inch of seam ({Say.Length(6.35)}) and {Say.Length(50)} to be hooped by; it is trimmed to its seam when the "
                + $"stitching is done.", "Overcast the edges: a trimmed block keeps its true size.", null, "common practice"),
        (LooseCloth.Felt, FeltMm, $"{Say.Length(40)} all round are there to hold it by; the shape is cut out when the stitching is done.",
            "Felt does not fray: no edge to see to.", "never", "from memory"),
        (LooseCloth.Pattern, HoopedMm,
            $"{Say.Length(50)} all round are there to be hooped by: the piece is cut out when the stitching is done, so that nothing "
                + $"stretches or frays out of shape.", "Raw edges fray while you work: overcast them by hand, or fold a strip of tape over "
                + "them.", null, "common practice"),
    ];

    /// <summary>How large loose cloth is cut for a shape this wide and high: the cut in mm, rounded up to fives.</summary>
    public static (double WidthMm, double HeightMm) Cut(LooseCloth kind, double widthMm, double heightMm)
    {
        var around = Table.First(t => t.Kind == kind).AroundMm;
        return (Up(widthMm + (2 * around)), Up(heightMm + (2 * around)));

        static double Up(double mm) => Math.Ceiling(Math.Round(mm / StepMm, 6)) * StepMm;
    }

    /// <summary>How what is made of it is usually washed; null where that hangs on its use.</summary>
    public static string? Washed(LooseCloth kind) => Table.First(t => t.Kind == kind).Washed;

    /// <summary>What is done about its raw edge while it is worked.</summary>
    public static Told RawEdge(LooseCloth kind) => Table.First(t => t.Kind == kind).RawEdge;

    /// <summary>The cut cloth about a shape drawn in its middle, mm: what a ring can grip.</summary>
    public static IReadOnlyList<Pt> Around(LooseCloth kind, IReadOnlyList<Pt> shape)
    {
        var (x0, x1, y0, y1) = (shape.Min(p => p.X), shape.Max(p => p.X), shape.Min(p => p.Y), shape.Max(p => p.Y));
        var (w, h) = Cut(kind, x1 - x0, y1 - y0);
        return Shapes.Rectangle(((x0 + x1) / 2) - (w / 2), ((y0 + y1) / 2) - (h / 2), w, h);
    }

    /// <summary>
    /// The shape as it lies on uncut cloth: what is bought as an edge is a line that was drawn, and nothing is measured from an edge that
    /// is not there yet.
    /// </summary>
    public static Drawn Undone(Drawn drawn) => drawn with
    {
        Landmarks = drawn.Landmarks.Select(l => l with
        {
            Name = Line(l.Name),
            Folding = l.Folding is { } fold ? fold with { How = Line(fold.How) } : null,
        }).ToArray(),
    };

    /// <summary>
    /// A piece that is not sewn together yet: it lies flat, single and open on all sides, and what will be a seam is a line on it.
    /// </summary>
    public static Drawn Unsewn(Drawn drawn) => drawn with
    {
        Face = drawn.Face.Fold is { Unsewn: { } flat } fold ? drawn.Face with { Fold = fold with { Flat = flat } } : drawn.Face,
        Zones = drawn.Zones.Select(z => z with { Opening = null, HoopLimit = null }).ToArray(),
        Landmarks = drawn.Landmarks.Select(l => l with
        {
            Name = SeamLine(l.Name),
            Folding = l.Folding is { } folding ? folding with { How = SeamLine(folding.How) } : null,
        }).ToArray(),
        Opening = null,
        HoopLimit = null,
        Stuffed = false,
    };

    private static string SeamLine(string name) => name.Replace(", front layer only", string.Empty, StringComparison.Ordinal)
        .Replace("seam", "seam line", StringComparison.Ordinal);

    private static string Line(string name) => name.Replace("edge", "line", StringComparison.Ordinal);

    /// <summary>
    /// The decision on the cut, or null for what is bought ready made. <paramref name="shrinkPercent"/> is what the cloth loses in a first
    /// wash before it is cut; 0 where it gets none.
    /// </summary>
    public static Decision? Decide(Form form, FormSize size, double shrinkPercent)
    {
        if (form.Loose is not { } kind)
        {
            return null;
        }

        var row = Table.First(t => t.Kind == kind);
        var (w, h) = Cut(kind, size.WidthMm, size.HeightMm);
        var because = new List<Told> { row.Because, row.RawEdge };
        if (shrinkPercent > 0)
        {
            because.Add($"Wash it before you cut: it loses about {Say.Number(shrinkPercent)} %, and cut to size it would end up "
                + $"{Say.Length(Math.Round(w * shrinkPercent / 100))} too narrow.");
        }

        return Deciding.Make(
            "item.cloth-cut", Station.Item, "How large the cloth is cut",
                new Choice("cut", $"Cut the cloth {Say.Length(w)} × {Say.Length(h)}"), null, because,
                ["Another size, or another way of making it up."]);
    }
}
