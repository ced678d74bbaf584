using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;

namespace Dittany.Core.Items;

/// <summary>
/// Round and shaped keepsakes worked on loose cloth: badge, pin-cushion round, hoop picture, felt ornament. Datum: the middle. Governing
/// measures: width and height of the finished shape. Stitches may lie anywhere inside their shape.
/// </summary>
public static class Rounds
{
    private static readonly FormUse Kept = new(Handled: false, NextToSkin: false, SeenOutdoors: false, MadeUp: false);

    /// <summary>A rim that is overcast takes this much of a badge (from memory).</summary>
    public const double RimMm = 7;

    /// <summary>
    /// Stitches may come this near the tacked line of a pin-cushion round (from memory); where they cross it they vanish in the bowl.
    /// </summary>
    public const double BowlMm = 4;

    public static Form Badge { get; } = Make(
        "badge", "badge", Shelf.Keepsake, "twill", "#27303a", "nobody",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: false),
        [Round("75", $"{Say.Length(75)} across", 75), Round("60", $"{Say.Length(60)} across", 60),
            Round("90", $"{Say.Length(90)} across", 90)], "75", 30, 200,
        size => Shape("badge", size, Ellipse(size), RimMm, $"The overcast rim takes {Say.Length(7)}.",
            Caps(7, 15, 0.85, 0.82 * size.WidthMm, "A round narrows above and below."), []), LooseCloth.Badge,
            ["patch", "emblem", "sew-on badge"]);

    public static Form PinCushion { get; } = Make(
        "pin-cushion-round", "pin-cushion round", Shelf.Keepsake, "linen", "#f1ede2", "nobody", Kept,
        [Round("80", $"{Say.Length(80)} across", 80), Round("60", $"{Say.Length(60)} across", 60),
            Round("100", $"{Say.Length(100)} across", 100)], "80", 40, 200,
        size => Shape("top", size, Ellipse(size), BowlMm,
            $"{Say.Length(4)} are kept free to the tacked line, where the cushion turns into its bowl.",
            Caps(7, 15, 0.75, 0.75 * size.WidthMm, "The cushion is round: its rim turns away."), [], Wider(size, 10)),
            LooseCloth.GatheredRound, ["pincushion", "pin cushion"]);

    public static Form HoopPicture { get; } = Make(
        "hoop-picture", "hoop picture", Shelf.Keepsake, "linen", "#f1ede2", "nobody", Kept,
        [.. new[] { 4, 5, 6, 7, 8 }.Select(n => new FormSize($"{n}in", $"{n} in hoop", n * Tape.InchMm, n * Tape.InchMm,
            "common practice: hoops by nominal inches"))], "6in", 60, 400,
        size => Shape("front", size, Ellipse(size), 10, $"{Say.Length(10)} are kept free to the ring.",
            Caps(10, 28, 0.8, 0.78 * size.WidthMm, "A round narrows above and below."), [0.25],
            [Shapes.Rectangle(-9, (-size.HeightMm / 2) - 24, 18, 20), .. Wider(size, 9)]), LooseCloth.Hooped,
            ["hoop", "wall hoop", "hoop art", "embroidery hoop"]);

    public static Form Ornament { get; } = Make(
        "felt-ornament", "felt ornament", Shelf.Keepsake, "wool-felt", "#8d4a3c", "nobody", Kept,
        [new("heart-90", $"heart, {Say.Length(90)}", 90, 84, Common), new("round-80", $"round, {Say.Length(80)}", 80, 80, Common),
            new("star-110", $"star, {Say.Length(110)}", 110, 105, Common), new("house-80", $"house, {Say.Length(80)}", 80, 95, Common)],
            "heart-90", 40, 250,
        size => Shape("front", size, OrnamentOf(size), 7,
            $"{Say.Length(7)} are kept free to the cut edge, for the stitches that close it.",
            Caps(6, 12, 0.8, 0.7 * size.WidthMm, "The shape narrows."), []), LooseCloth.Felt,
            ["ornament", "tree ornament", "christmas ornament", "christmas decoration", "felt heart", "decoration"]);

    private static FormSize Round(string id, Told name, double across) => new(id, name, across, across, Common);

    private static Form Make(string id, string name, Shelf shelf, string cloth, string colour, string wearer, FormUse use,
        FormSize[] sizes, string usual, double least, double most, Func<FormSize, Drawn> build, LooseCloth loose, string[] called) => new(
        id, name, shelf, cloth, colour, wearer, use, sizes, usual,
        new Measure("width", "Width finished", "Across the finished shape.", least, most),
            new Measure("height", "Height finished", "From top to bottom of the finished shape.", least, most), size => [build(size)])
        {
            AlsoCalled = called,
            Loose = loose,
        };

    private static Drawn Shape(string face, FormSize size, Pt[] ring, double edge, Told reason, UsualLettering lettering, double[] below,
        IReadOnlyList<IReadOnlyList<Pt>>? round = null)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        return new Drawn(
            new Face(face, "front", "the middle"),
            ring,
            [
                new Zone("middle", "middle", ring, edge, reason, new UsualPlace("in-the-middle", "In the middle, a little high",
                    new Pt(0, -h * OpticalPlace.Rise), Stands.OnMiddle, [OpticalPlace.Because], Memory), lettering),
                .. below.Select(b => new Zone("below", "below the middle", ring, edge, reason,
                    Middle("below-middle", "A quarter of the height below the middle", new Pt(0, b * h),
                    "It leaves the middle to a motif."), lettering
                    with { MostCapMm = lettering.MostCapMm * 0.6, LeastCapMm = lettering.LeastCapMm * 0.7,
                    MostWidthMm = lettering.MostWidthMm * 0.8 })),
            ],
            [],
            [
                MiddleFold("centre-fold", "the centre fold", -h / 2, h / 2,
                    "Fold the cloth in half, side on side, and crease lightly: that is the centre fold."),
                new Landmark("cross-fold", "the cross fold", new(-w / 2, 0), new(w / 2, 0), Found.Fold,
                    new Folding("Fold the cloth in half, top on bottom, and crease lightly: that is the cross fold.", string.Empty,
                    string.Empty)),
                Level("lowest", "the lowest point of the shape", w / 4, ring.Max(p => p.Y), Found.Edge),
            ],
            round ?? []);
    }

    /// <summary>What stands round it when it is made up: the ring, the bowl.</summary>
    private static Pt[][] Wider(FormSize size, double by) =>
        [Ellipse(size with { WidthMm = size.WidthMm + (2 * by), HeightMm = size.HeightMm + (2 * by) })];

    private static Pt[] Ellipse(FormSize size) => Enumerable.Range(0, 72).Select(i =>
        new Pt(size.WidthMm / 2 * Math.Cos(Math.PI * i / 36), size.HeightMm / 2 * Math.Sin(Math.PI * i / 36))).ToArray();

    private static Pt[] OrnamentOf(FormSize size)
    {
        var (w, h) = (size.WidthMm / 2, size.HeightMm / 2);
        switch (size.Id.Split('-')[0])
        {
            case "heart":
                Pt[] right = [.. Shapes.Bend(new Pt(0, -0.6 * h), new Pt(0.2 * w, -1.15 * h), new Pt(w, -1.12 * h), new Pt(w, -0.35 * h)),
                    .. Shapes.Bend(new Pt(w, -0.35 * h), new Pt(w, 0.2 * h), new Pt(0.35 * w, 0.6 * h), new Pt(0, h)).Skip(1)];
                return [.. right, .. Shapes.Mirrored(right).Skip(1).SkipLast(1)];
            case "star":
                return Enumerable.Range(0, 10).Select(i => new Pt(w * (i % 2 == 0 ? 1 : 0.55) * Math.Sin(Math.PI * i / 5),
                    -h * (i % 2 == 0 ? 1 : 0.55) * Math.Cos(Math.PI * i / 5))).ToArray();
            case "house":
                return [new(0, -h), new(w, -0.35 * h), new(w, h), new(-w, h), new(-w, -0.35 * h)];
            default:
                return Ellipse(size);
        }
    }
}
