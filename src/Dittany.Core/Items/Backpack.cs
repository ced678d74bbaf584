using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A small backpack, its front with a zipped pocket below and the main zip arching over it. Datum: the middle of the lower edge. Governing
/// measures: its width, and its height.
/// </summary>
public static class Backpack
{
    public static Form Form { get; } = new(
        "backpack", "backpack", Shelf.Carry, "coated-canvas", "#27303a", "child",
            new FormUse(Handled: false, NextToSkin: false, SeenOutdoors: true, MadeUp: true),
        [new("30x40", $"{Measures.Say.SpanCm(30, " × ", 40)}", 300, 400, Common, Lined: true),
            new("child", $"child's, {Measures.Say.SpanCm(23, " × ", 30)}", 230, 300, Common, Lined: true)],
        "30x40",
        new Measure("width", "Width", "Across the front, above the pocket.", 150, 450),
            new Measure("height", "Height", "From the lower edge to the top of the arch.", 200, 600), size => [Build(size)])
    {
        AlsoCalled = ["rucksack", "school bag", "satchel", "knapsack"],
    };

    private static readonly HoopLimit NoRing = new(0, "Two stiff layers behind a narrow mouth: no ring goes in, it is worked in the hand.");

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        Pt[] arch = [new(w / 2, 0), new(w / 2, -0.62 * h),
            .. Bend(new Pt(w / 2, -0.62 * h), new Pt(w / 2, -0.88 * h), new Pt(0.3 * w, -h), new Pt(0, -h)).Skip(1)];
        Pt[] zip = [new((w / 2) - 22, -0.35 * h), new((w / 2) - 22, -0.6 * h),
            .. Bend(new Pt((w / 2) - 22, -0.6 * h), new Pt((w / 2) - 22, (-0.88 * h) + 20), new Pt(0.27 * w, -h + 24),
            new Pt(0, -h + 24)).Skip(1)];
        var (pw, ph) = (0.76 * w, 0.42 * h);
        var (px, py) = (-pw / 2, -ph - 20);
        Pt[] over = [new(px, -20), new(px, py + 20), .. Bend(new Pt(px, py + 20), new Pt(px, py), new Pt(px + 10, py),
            new Pt(px + 20, py)).Skip(1), new(-px - 20, py),
            .. Bend(new Pt(-px - 20, py), new Pt(-px - 10, py), new Pt(-px, py), new Pt(-px, py + 20)).Skip(1), new(-px, -20)];
        return new Drawn(
            new Face("front", "front", "middle of the lower edge"),
            [.. arch, .. Mirrored(arch).Skip(1)],
            [
                new Zone(
                    "panel", "panel above the pocket", Rectangle(-0.36 * w, -0.86 * h, 0.72 * w, (0.86 * h) - ph - 22), 0,
                        "Between the zips; teeth and their tape are too hard to stitch.",
                    Middle("panel-middle", "In the middle of the panel, between the zips",
                        new Pt(0, -((0.5 * (0.86 * h)) + (0.5 * (ph + 22))) ), "There it shows on the child's back."),
                        Caps(16, 30, 0.75, 0.6 * w, "The zip bends in above.")),
                new Zone(
                    "pocket", "front of the pocket", Rectangle(px, py, pw, ph), 6, "Work it from inside the pocket, one layer only.",
                    Middle("pocket-middle", "In the middle of the pocket", new Pt(0, py + (0.55 * ph)),
                        "The pocket's zip is a line to hang things from."), Caps(14, 26, 0.75, 0.56 * w, "The pocket's sides bend away.")),
            ],
            [
                Seam("main-zip-right", "teeth of the main zip", zip, ObstacleKind.ZipTeeth, 6),
                    Seam("main-zip-left", "teeth of the main zip", Mirrored(zip), ObstacleKind.ZipTeeth, 6),
                Seam("pocket-zip", "teeth of the pocket's zip", [new(px + 14, py + 16), new(-px - 14, py + 16)], ObstacleKind.ZipTeeth, 6),
                Seam("pocket-right", "right edge of the pocket", [new(-px - 2, -22), new(-px - 2, py + 20)], ObstacleKind.PocketEdge, 3),
                    Seam("pocket-left", "left edge of the pocket", [new(px + 2, -22), new(px + 2, py + 20)], ObstacleKind.PocketEdge, 3),
                Seam("pocket-top", "top edge of the pocket", [new(px + 20, py + 1), new(-px - 20, py + 1)], ObstacleKind.PocketEdge, 3),
                Seam("base", "base seam", [new(-w / 2, -10), new(w / 2, -10)], ObstacleKind.BagSide, 3),
                Seam("right-side", "right side seam", [new((w / 2) - 2, -2), new((w / 2) - 2, -0.62 * h)], ObstacleKind.BagSide),
                    Seam("left-side", "left side seam", [new((-w / 2) + 2, -2), new((-w / 2) + 2, -0.62 * h)], ObstacleKind.BagSide),
            ],
            [
                MiddleFold("middle", "the middle of the front", -h, 0,
                    "Mark the middle between the two side seams at the top and at the base with chalk, and lay a thread from mark to mark: "
                        + "that is the middle of the front."),
                Level("pocket-zip-line", "the teeth of the pocket's zip", pw / 2, py + 16, Found.Seam),
                    Level("base-line", "the base seam", w / 2, -10, Found.Seam),
                new Landmark("pocket-left-edge", "the left edge of the pocket", new(px, py), new(px, -20), Found.Edge),
                    new Landmark("pocket-right-edge", "the right edge of the pocket", new(-px, py), new(-px, -20), Found.Edge),
            ],
            [Strip(Bend(new Pt(-22, -h + 6), new Pt(-26, -h - 55), new Pt(26, -h - 55), new Pt(22, -h + 6)), 14)],
            new Opening("the main zip", w - 44), NoRing, Over: [over]);
    }
}
