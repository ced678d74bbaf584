using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Operations;

/// <summary>
/// What loose cloth wants besides its stitches: it is cut and the shape drawn on it before anything is measured, and made up at the end.
/// </summary>
public static class LooseWork
{
    /// <summary>Cutting on the grain and drawing the shape; overcasting the edges of a metre and a half; minutes (from memory).</summary>
    public const double CutMinutes = 5;

    public const double EdgeMinutes = 10;

    /// <summary>
    /// How each kind is made up, with its minutes: trims, gathers, boards and seams (common practice; the minutes from memory).
    /// </summary>
    private static readonly (LooseCloth Kind, double Minutes, Told[] Steps, string Source)[] Up =
    [
        (LooseCloth.Hooped, 15,
            [
                $"Trim the cloth to {Say.Length(ClothAllowance.GatheredMm)} round the ring.",
                "Run a strong thread round near the cut edge, draw it together behind, and knot it.",
                "Cover the back with a card or a round of felt.",
            ], "common practice"),
        (LooseCloth.Framed, 30,
            [
                $"Cut a board to the opening of the frame; lay thin wadding on it, so that no knot behind shows; trim the cloth to "
                    + $"{Say.Length(40)} round it.",
                "Lace the cloth behind, from the middle out, both ways, and see that the grain runs straight.",
                "Cover the back, and put it in the frame.",
            ], "common practice"),
        (LooseCloth.GatheredRound, 25,
            [
                $"Cut the round {Say.Length(ClothAllowance.GatheredMm)} beyond its line.",
                $"Gather it {Say.Length(5)} inside the cut edge with a strong thread, in close stitches; draw it into a cup and fill it "
                    + $"little by little until it is firm.",
                "Draw it shut, knot it twice while someone holds the first knot, even the gathers, and set it into its bowl.",
            ], "common practice"),
        (LooseCloth.Badge, 40,
            [
                $"Cut it out with {Say.Length(8)} of seam; sew a second layer to it right sides together, a gap of {Say.Length(30)} left.",
                $"Trim to {Say.Length(4)}, notch the curves, turn it, and coax the edge round with a blunt point.",
                "Close the gap with a backstitch just outside the design, and overcast the rim, stitch beside stitch.",
            ], "common practice"),
        (LooseCloth.SewnIn, 5, ["Press it once more and trim the block to its drawn line: that is its seam allowance."],
            "common practice"),
        (LooseCloth.Pattern, 5,
            ["Cut the piece out on its line, with the seam the pattern asks for; sewing it together is not counted here."],
            "common practice"),
        (LooseCloth.Felt, 25,
            [
                "Cut the shape out on its drawn line, and a second one for the back.",
                "Sew the two together along the edge, a loop for hanging caught in between, and fill it before the last stitches.",
            ], "common practice"),
    ];

    /// <summary>The size the cloth is cut for: of a pattern's piece that of the face, else that of the form.</summary>
    public static FormSize CutFrom(Form form, FormSize size, Drawn drawn) => form.Loose != LooseCloth.Pattern ? size : size with
    {
        WidthMm = drawn.Outline.Max(p => p.X) - drawn.Outline.Min(p => p.X),
        HeightMm = drawn.Outline.Max(p => p.Y) - drawn.Outline.Min(p => p.Y),
    };

    /// <summary>Cuts the cloth and draws the shape on it; nothing for what is bought ready made.</summary>
    public static IReadOnlyList<Operation> Before(Form form, FormSize size)
    {
        if (form.Loose is not { } kind)
        {
            return [];
        }

        var (w, h) = ClothAllowance.Cut(kind, size.WidthMm, size.HeightMm);
        return [new Operation(
            "cut", OpKind.Cut, Station.Item, Place.Table,
            [new("cutting and drawing", CutMinutes + (kind is LooseCloth.Hooped or LooseCloth.Framed or LooseCloth.SewnIn
                or LooseCloth.Pattern ? EdgeMinutes : 0))],
            [
                $"Cut the cloth {Say.Length(w)} × {Say.Length(h)}, {(kind == LooseCloth.Felt ? "any way round" : "along the grain")}.",
                $"Draw the shape in its middle, {Say.Length(Math.Round(size.WidthMm, 1))} wide and "
                    + $"{Say.Length(Math.Round(size.HeightMm, 1))} high: everything is measured from that line.",
                ClothAllowance.RawEdge(kind),
            ])];
    }

    /// <summary>Makes it up; nothing for what is bought ready made.</summary>
    public static IReadOnlyList<Operation> After(Form form) => form.Loose is { } kind && Up.First(u => u.Kind == kind) is var up
        ? [new Operation("make-up", OpKind.Sew, Station.Finish, Place.Table, [new("making up", up.Minutes)], up.Steps)]
        : [];
}
