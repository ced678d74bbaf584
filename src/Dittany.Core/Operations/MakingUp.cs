using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Operations;

/// <summary>
/// How loose cloth is made up, by its measures: what is cut to which size, how long each thread is, how much filling, with the minutes.
/// </summary>
public static class MakingUp
{
    /// <summary>A bowl is so much wider inside than the round that sits in it, mm (from memory).</summary>
    public const double BowlOverMm = 2;

    /// <summary>A gathering thread runs so far inside the raw edge, in stitches of this length, mm (common practice).</summary>
    public const double GatherInsideMm = 5;

    public const double GatherStitchMm = 5;

    /// <summary>Thread over at each end of a seam or a gathering, mm (from memory).</summary>
    public const double EndMm = 150;

    /// <summary>Filling is pressed in: so much more than the hollow holds, and weighs so much, g per cm³ (from memory).</summary>
    public const double FillFactor = 1.3;

    public const double FillGramsPerCm3 = 0.03;

    /// <summary>Seam of a badge, what it is trimmed to, and the gap to turn it by, mm (from memory).</summary>
    public const double BadgeSeamMm = 8;

    public const double BadgeTrimMm = 4;

    public const double BadgeGapMm = 30;

    /// <summary>An overcast rim goes over the edge by so much on both sides, mm; strands it is worked with (common practice).</summary>
    public const double RimDeepMm = 4;

    public const int RimStrands = 6;

    /// <summary>Cloth turned over a board, and the way from lace to lace, mm (from memory).</summary>
    public const double BoardTurnMm = 40;

    public const double LacePitchMm = 15;

    /// <summary>A card behind a hoop is so much smaller than it, mm (from memory).</summary>
    private const double CardUnderMm = 4;

    /// <summary>Seconds for a stitch of a seam, of an overcast rim, and of gathering (from memory).</summary>
    private const double SeamSeconds = 4;

    private const double RimSeconds = 5;

    private const double GatherSeconds = 3;

    /// <summary>Makes it up; nothing for what is bought ready made.</summary>
    public static IReadOnlyList<Operation> Of(Form form, FormSize size) => form.Loose switch
    {
        null => [],
        LooseCloth.GatheredRound => [Gathered(size)],
        LooseCloth.Badge => [Badge(size)],
        LooseCloth.Framed => [Framed(size)],
        LooseCloth.Hooped => [Hooped(size)],
        LooseCloth.Felt => [Felt(size)],
        LooseCloth.SewnIn => [Plain(5, [], "Press it once more and trim the block to its drawn line: that is its seam allowance.")],
        _ => [Plain(5, [], "Cut the piece out on its line, with the seam the pattern asks for; sewing it together is not counted here.")],
    };

    /// <summary>What a cup drawn from a round of this width holds, cm³: half a ball as wide as it.</summary>
    public static double CupCm3(double acrossMm) => 2.0 / 3 * Math.PI * Math.Pow(acrossMm / 20, 3);

    /// <summary>How far it is round an oval so wide and high, mm (Ramanujan 1914).</summary>
    public static double AroundMm(double widthMm, double heightMm)
    {
        var (a, b) = (widthMm / 2, heightMm / 2);
        return Math.PI * ((3 * (a + b)) - Math.Sqrt(((3 * a) + b) * (a + (3 * b))));
    }

    /// <summary>Lacing thread across a board both ways, mm: to and fro from edge to edge of what is turned over.</summary>
    public static double LacingMm(double widthMm, double heightMm) =>
        ((Math.Ceiling(widthMm / LacePitchMm) * heightMm) + (Math.Ceiling(heightMm / LacePitchMm) * widthMm)) * 1.1;

    private static Operation Gathered(FormSize size)
    {
        var cut = size.WidthMm + (2 * ClothAllowance.GatheredMm);
        var around = AroundMm(cut - (2 * GatherInsideMm), cut - (2 * GatherInsideMm));
        var stitches = 2 * Math.Ceiling(around / GatherStitchMm / 2);
        var filling = CupCm3(size.WidthMm) * FillFactor;
        return Plain(12 + (stitches * GatherSeconds / 60),
            [new("strong thread", Math.Round(around + (2 * EndMm)), "mm"), new("filling", Math.Round(filling * FillGramsPerCm3, 1), "g")],
            $"The tacked line still in: measure {Say.Length(ClothAllowance.GatheredMm)} beyond it on four sides, along the "
                + $"grain, and cut the square of {Say.Length(Math.Round(cut))}.",
            $"Only now pull the tacking out; cut the square to a round of {Say.Length(Math.Round(cut))}.",
            $"With a strong thread run {Say.Number(stitches, 0)} close stitches {Say.Length(GatherInsideMm)} inside the edge, both ends on the "
                + $"right side, {Say.Length(Math.Round(around + (2 * EndMm)))} of thread in all.",
            $"Draw it into a cup, wrong side in, and fill it little by little with about {Say.Number(Math.Round(filling), 0)} ml of filling, "
                + $"{Say.Number(Math.Round(filling * FillGramsPerCm3, 1))} g, until it is firm.",
            "Draw it shut and knot it twice while someone holds the first knot: pulled hard, the thread snaps. Even the gathers.",
            $"Set it into its bowl, {Say.Length(size.WidthMm + BowlOverMm)} wide inside; pins go in as the middles of the flowers.");
    }

    private static Operation Badge(FormSize size)
    {
        var around = AroundMm(size.WidthMm, size.HeightMm);
        var rim = Math.Ceiling(around / Bundle.WidthMm(RimStrands));
        var rimThread = rim * 2 * Math.Sqrt((RimDeepMm * RimDeepMm) + Math.Pow(Bundle.WidthMm(RimStrands) / 2, 2));
        return Plain(10 + (((around / 3 * 2 * SeamSeconds) + (rim * RimSeconds)) / 60),
            [
                new("seam thread, 2 strands", Math.Round((2 * around) + (2 * EndMm)), "mm"),
                new("rim thread, 6 strands", Math.Round(rimThread + (Math.Ceiling(rimThread / 400) * EndMm)), "mm"),
            ],
            $"Cut it out with {Say.Length(BadgeSeamMm)} of seam, {Say.Length(size.WidthMm + (2 * BadgeSeamMm))} × "
                + $"{Say.Length(size.HeightMm + (2 * BadgeSeamMm))}, and a second layer of the same from the offcut.",
            $"Right sides together, sew round on the drawn line with 2 strands and leave a gap of {Say.Length(BadgeGapMm)}.",
            $"Trim to {Say.Length(BadgeTrimMm)}, notch the curves, turn it, and coax the edge round with a blunt point.",
            "With 2 strands backstitch just outside the design: it closes the gap and guides the edge. Push with a thimble: there are four layers.",
            $"Overcast the rim with {RimStrands} strands, {Say.Number(rim, 0)} stitches touching each other, tighter where there is more cloth "
                + $"under them; bury the tail between the layers.");
    }

    private static Operation Framed(FormSize size)
    {
        var lacing = LacingMm(size.WidthMm, size.HeightMm);
        return Plain(20 + (((size.WidthMm + size.HeightMm) / LacePitchMm * 2 * SeamSeconds) / 60),
            [
                new("board", 1, "pieces"), new("thin wadding", Math.Round(size.WidthMm * size.HeightMm / 1e6, 4), "m²"),
                new("lacing thread", Math.Round(lacing + (4 * EndMm)), "mm"),
            ],
            $"Cut a board to the opening of the frame, {Say.Length(size.WidthMm)} × {Say.Length(size.HeightMm)}, and thin wadding of the same "
                + $"size: it takes up the knots.",
            $"Trim the cloth to {Say.Length(BoardTurnMm)} round the board; turn it over and pin it into the edge, from the middles to the corners.",
            $"Lace it behind both ways, from the middle out, a stitch every {Say.Length(LacePitchMm)}, with about "
                + $"{Say.Length(Math.Round(lacing / 100) * 100)} of strong thread; see that the grain runs straight.",
            "Cover the back with a card, and put it in the frame.");
    }

    private static Operation Hooped(FormSize size)
    {
        var cut = size.WidthMm + (2 * ClothAllowance.GatheredMm);
        var around = AroundMm(cut - (2 * GatherInsideMm), cut - (2 * GatherInsideMm));
        return Plain(8 + (around / GatherStitchMm * GatherSeconds / 60), [new("strong thread", Math.Round(around + (2 * EndMm)), "mm"),
            new("card or felt", 1, "pieces")],
            $"Trim the cloth to {Say.Length(ClothAllowance.GatheredMm)} round the ring, a round of {Say.Length(Math.Round(cut))}.",
            $"Run a strong thread round {Say.Length(GatherInsideMm)} inside the cut edge, {Say.Length(Math.Round(around + (2 * EndMm)))} of it, "
                + $"draw it together behind, and knot it.",
            $"Cover the back with a card or a round of felt, {Say.Length(Math.Round(size.WidthMm - CardUnderMm))} across.");
    }

    private static Operation Felt(FormSize size)
    {
        var around = AroundMm(size.WidthMm, size.HeightMm);
        var filling = size.WidthMm * size.HeightMm * Math.Min(size.WidthMm, size.HeightMm) / 1000 * 0.12 * FillFactor;
        return Plain(10 + (around / 3 * SeamSeconds / 60), [new("seam thread", Math.Round((around * 2.5) + (2 * EndMm)), "mm"),
            new("filling", Math.Round(filling * FillGramsPerCm3, 1), "g")],
            "Cut the shape out on its drawn line, and a second one for the back.",
            $"Sew the two together along the edge, {Say.Length(3)} apart, a loop for hanging caught in between; before the last stitches fill "
                + $"it with about {Say.Number(Math.Round(filling * FillGramsPerCm3, 1))} g.");
    }

    private static Operation Plain(double minutes, IReadOnlyList<Use> uses, params Told[] steps) =>
        new("make-up", OpKind.Sew, Station.Finish, Place.Table, [new("making up", Math.Round(minutes, 1))], steps, Uses: uses);
}
