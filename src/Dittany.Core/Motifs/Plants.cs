using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>Leaves, flowers and fruit.</summary>
internal static class Plants
{
    public static IReadOnlyList<Motif> All { get; } =
    [
        new("leaf-sprig", "leaf sprig", MotifShelf.Leaves, LeafSprig, new("pairs of leaves", 2, 4, 9)),
        new("fern", "fern", MotifShelf.Leaves, Fern, new("pairs of fronds", 4, 8, 14)),
        new("olive-branch", "olive branch", MotifShelf.Leaves, OliveBranch, new("leaves", 4, 7, 13)),
        new("single-leaf", "single leaf", MotifShelf.Leaves, SingleLeaf, new("pairs of veins", 2, 4, 7)),
        new("clover", "clover", MotifShelf.Leaves, Clover, new("leaves", 3, 3, 4)),
        new("wheat-ear", "ear of wheat", MotifShelf.Leaves, WheatEar, new("pairs of grains", 3, 5, 9)),
        new("pine-tree", "pine tree", MotifShelf.Leaves, PineTree, new("tiers", 2, 3, 5)),
        new("feather", "feather", MotifShelf.Leaves, Feather, new("pairs of barbs", 4, 7, 12)),
        new("daisy", "daisy", MotifShelf.Flowers, Daisy, new("petals", 8, 12, 16)),
        new("five-petal-flower", "five-petal flower", MotifShelf.Flowers, FivePetal, new("petals", 4, 5, 7)),
        new("sunflower", "sunflower", MotifShelf.Flowers, Sunflower, new("petals", 10, 14, 20)),
        new("bell-spike", "bell-flower spike", MotifShelf.Flowers, BellSpike, new("bells", 3, 5, 9)),
        new("tulip", "tulip", MotifShelf.Flowers, _ => Tulip),
        new("rosebud", "rosebud", MotifShelf.Flowers, _ => Rosebud),
        new("lavender", "lavender", MotifShelf.Flowers, Lavender, new("tiers of flowers", 3, 5, 8)),
        new("poppy", "poppy", MotifShelf.Flowers, _ => Poppy),
        new("snowdrop", "snowdrop", MotifShelf.Flowers, _ => Snowdrop),
        new("flower-stem", "flower on its stem", MotifShelf.Flowers, FlowerStem, new("petals", 5, 7, 11)),
        new("berry-sprig", "berry sprig", MotifShelf.Fruit, BerrySprig, new("berries", 3, 6, 11)),
        new("cherries", "pair of cherries", MotifShelf.Fruit, _ => Cherries),
        new("strawberry", "strawberry", MotifShelf.Fruit, _ => Strawberry),
        new("apple", "apple", MotifShelf.Fruit, _ => Apple),
        new("pear", "pear", MotifShelf.Fruit, _ => Pear),
        new("acorn", "acorn", MotifShelf.Fruit, _ => Acorn),
        new("mushroom", "mushroom", MotifShelf.Fruit, _ => Mushroom),
    ];

    private static readonly Pt O = new(0, 0);

    private static Figure Tulip => Drawing.Written("""
        stem line M 0 38 C 2 62 0 84 0 108
        leaf shape M 0 104 C -8 92 -30 84 -30 56 C -16 66 -4 82 0 104
        leaf shape M 0 104 C 8 94 28 88 30 64 C 16 72 4 86 0 104
        petal shape M 0 38 C -22 38 -28 18 -24 -8 C -14 0 -8 4 0 12 C 8 4 14 0 24 -8 C 28 18 22 38 0 38
        petal shape M 0 12 C -7 2 -6 -8 0 -16 C 6 -8 7 2 0 12
        """);

    private static Figure Rosebud => Drawing.Written("""
        stem line M 0 34 C -3 58 4 78 0 104
        leaf shape M 0 78 C 12 62 28 62 36 66 C 30 80 14 84 0 78
        leaf shape M -1 64 C -12 48 -26 48 -34 51 C -29 64 -14 70 -1 64
        petal shape M 0 34 C -22 34 -30 14 -22 -6 C -14 -22 14 -22 22 -6 C 30 14 22 34 0 34
        vein@1 line M -23 0 C -12 8 12 10 16 -2 C 18 -12 2 -16 -4 -8 C -7 -3 -2 2 4 0
        vein@1 line M 23 2 C 16 14 4 20 -10 18
        """);

    private static Figure Poppy => Drawing.Written("""
        stem line M 0 30 C -8 58 8 76 2 108
        petal shape M 0 30 C -38 32 -46 -14 -20 -26 C -12 -32 -4 -24 0 -18 C 4 -24 12 -32 20 -26 C 46 -14 38 32 0 30
        vein@1 line M -34 -4 C -20 10 20 10 34 -4
        centre@2 shape M -8 2 C -8 -3 -5 -6 0 -6 C 5 -6 8 -3 8 2 C 8 6 5 9 0 9 C -5 9 -8 6 -8 2
        dot@3 dot -17 -6
        dot@3 dot 0 -13
        dot@3 dot 17 -6
        leaf shape M 2 82 C 14 66 30 64 40 68 C 32 82 16 88 2 82
        """);

    private static Figure Snowdrop => Drawing.Written("""
        stem line M 0 108 C 0 60 -4 20 4 -8 C 8 -22 22 -26 28 -14
        leaf shape M 0 106 C -16 86 -22 52 -12 26 C -2 52 2 80 0 106
        leaf shape M 0 106 C 4 84 14 64 26 54 C 26 76 14 96 0 106
        petal shape M 28 -14 C 16 -4 14 16 22 26 C 28 16 30 0 28 -14
        petal shape M 28 -14 C 40 -4 44 14 36 26 C 29 16 27 0 28 -14
        """);

    private static Figure Cherries => Drawing.Written("""
        stem line M 4 -40 C -6 -16 -18 2 -22 20
        stem line M 4 -40 C 12 -20 20 4 22 30
        leaf shape M 4 -40 C 18 -60 40 -58 52 -46 C 38 -32 18 -30 4 -40
        vein line M 14 -44 C 24 -48 32 -48 42 -46
        petal shape M -22 20 C -8 20 0 30 0 42 C 0 56 -10 64 -22 64 C -34 64 -44 55 -44 42 C -44 29 -35 20 -22 20
        petal shape M 22 30 C 36 30 46 40 46 52 C 46 66 36 76 23 76 C 10 76 1 66 1 53 C 1 40 10 30 22 30
        """);

    private static Figure Strawberry => Drawing.Written("""
        stem line M 0 -26 C 0 -36 4 -42 10 -46
        leaf@1 shape M 0 -26 C -12 -38 -28 -34 -38 -24 C -28 -14 -12 -14 0 -26
        leaf@1 shape M 0 -26 C 12 -38 28 -34 38 -24 C 28 -14 12 -14 0 -26
        fruit shape M -34 -22 C -44 6 -22 46 0 54 C 22 46 44 6 34 -22 C 22 -30 -22 -30 -34 -22
        dot@2 dot -16 0
        dot@2 dot 16 0
        dot@2 dot 0 10
        dot@2 dot -9 26
        dot@2 dot 10 27
        """);

    private static Figure Apple => Drawing.Written("""
        stem line M 0 -24 C 0 -36 4 -44 10 -50
        leaf shape M 4 -36 C 14 -54 34 -54 42 -46 C 34 -32 16 -28 4 -36
        outline shape M 0 -24 C 10 -34 42 -34 42 6 C 42 36 24 56 8 52 C 3 50 -3 50 -8 52 C -24 56 -42 36 -42 6 C -42 -34 -10 -34 0 -24
        """);

    private static Figure Pear => Drawing.Written("""
        stem line M 2 -48 C 2 -58 8 -64 14 -66
        leaf shape M 2 -50 C -8 -66 -26 -66 -34 -58 C -26 -46 -10 -44 2 -50
        outline shape M 2 -48 C 18 -48 20 -28 22 -12 C 24 2 38 12 38 32 C 38 52 20 60 0 60 C -20 60 -36 50 -36 32 C -36 12 -20 2 -18 -12 C -16 -28 -14 -48 2 -48
        """);

    private static Figure Acorn => Drawing.Written("""
        stem line M 0 -28 C 0 -38 4 -46 10 -50
        fruit shape M -28 -2 C -28 26 -14 42 0 54 C 14 42 28 26 28 -2 C 16 2 -16 2 -28 -2
        outline@1 shape M -34 -4 C -34 -22 -18 -28 0 -28 C 18 -28 34 -22 34 -4 C 20 2 -20 2 -34 -4
        dot@2 dot -15 -13
        dot@2 dot 0 -14
        dot@2 dot 15 -13
        """);

    private static Figure Mushroom => Drawing.Written("""
        stalk shape M -14 0 C -12 22 -14 36 -20 48 C -8 54 8 54 20 48 C 14 36 12 22 14 0 L -14 0
        outline@1 shape M -44 0 C -44 -34 -20 -50 0 -50 C 20 -50 44 -34 44 0 C 26 8 -26 8 -44 0
        dot@2 dot -20 -20
        dot@2 dot 0 -32
        dot@2 dot 20 -20
        """);

    private static Figure LeafSprig(int pairs)
    {
        var height = 26.0 * (pairs + 0.8);
        Pt On(double up) => new(5 * Math.Sin(up / height * Math.PI), -up);
        var parts = new List<FigurePart> { Drawing.Line("stem", O, On(height * 0.34), On(height * 0.67), On(height - 24)) };
        for (var i = 0; i < pairs; i++)
        {
            var long_ = 32 - (10.0 * i / Math.Max(1, pairs - 1));
            foreach (var side in new[] { -1, 1 })
            {
                var foot = On(16 + (26 * i) + (side > 0 ? 8 : 0));
                var tip = foot + new Pt(side * long_ * 0.82, -long_ * 0.6);
                parts.Add(Drawing.Leaf(foot, tip, long_ * 0.46));
                parts.Add(Drawing.Vein(foot, tip));
            }
        }

        var top = On(height - 24);
        parts.Add(Drawing.Leaf(top, top + new Pt(0, -26), 13));
        return new Figure(parts);
    }

    private static Figure Fern(int pairs)
    {
        var parts = new List<FigurePart> { Drawing.Line("stem", O, new Pt(3, -8.0 * pairs), new Pt(14, -15.0 * pairs)) };
        for (var i = 0; i < pairs; i++)
        {
            var t = (i + 1.0) / (pairs + 1);
            var foot = Pt.Lerp(Pt.Lerp(O, new Pt(3, -8.0 * pairs), t), Pt.Lerp(new Pt(3, -8.0 * pairs), new Pt(14, -15.0 * pairs), t), t);
            var reach = 34 * (1 - (0.72 * t));
            foreach (var side in new[] { -1, 1 })
            {
                parts.Add(Drawing.Line("leaf", foot, foot + new Pt(side * reach * 0.55, -reach * 0.16), foot
                    + new Pt(side * reach, -reach * 0.46)));
            }
        }

        return new Figure(parts);
    }

    private static Figure OliveBranch(int leaves)
    {
        var length = 22.0 * (leaves + 1);
        Pt On(double x) => new(x, -16 * Math.Sin(x / length * Math.PI));
        var parts = new List<FigurePart> { Drawing.Line("stem", O, On(length * 0.33), On(length * 0.66), On(length - 24)) };
        for (var i = 0; i < leaves; i++)
        {
            var side = i % 2 == 0 ? -1 : 1;
            var foot = On(18 + (20.0 * i));
            var tip = foot + new Pt(20, side * 24);
            parts.Add(Drawing.Leaf(foot, tip, 11));
            if (i % 2 == 1 && i + 1 < leaves)
            {
                parts.Add(Drawing.Oval("petal", foot + new Pt(6, -13), 6.5, 8.5));
            }
        }

        parts.Add(Drawing.Leaf(On(length - 24), On(length - 24) + new Pt(28, 8), 12));
        return new Figure(parts);
    }

    private static Figure SingleLeaf(int pairs)
    {
        var (foot, tip) = (new Pt(0, 0), new Pt(0, -90));
        var parts = new List<FigurePart> { Drawing.Leaf(foot, tip, 56), Drawing.Line("stem", new Pt(0, 22), foot),
            Drawing.Line("vein", foot + new Pt(0, -4), new Pt(0, -74)) };
        for (var i = 0; i < pairs; i++)
        {
            var up = 14 + (46.0 * i / Math.Max(1, pairs - 1));
            var reach = 20 * Math.Sin(Math.PI * Math.Min(1, (up + 18) / 96));
            foreach (var side in new[] { -1, 1 })
            {
                parts.Add(Drawing.Line("vein", new Pt(0, -up), new Pt(side * reach * 0.8, -up - (reach * 0.6))));
            }
        }

        return new Figure(parts);
    }

    private static Figure Clover(int leaves)
    {
        var parts = Drawing.Round(leaves, d => HeartLeaf(d)).ToList();
        parts.Add(Drawing.Line("stem", new Pt(1, 3), new Pt(-4, 30), new Pt(6, 62)));
        return new Figure(parts);

        static IEnumerable<FigurePart> HeartLeaf(double degrees)
        {
            var heart = Drawing.Written(
                "leaf shape M 0 -4 C -6 -12 -26 -20 -24 -36 C -22 -46 -8 -48 0 -38 C 8 -48 22 -46 24 -36 C 26 -20 6 -12 0 -4\nvein line M "
                    + "0 -10 L 0 -26");
            return heart.Turned(degrees * Math.PI / 180).Parts;
        }
    }

    private static Figure WheatEar(int pairs)
    {
        var parts = new List<FigurePart> { Drawing.Line("stem", O, new Pt(2, -30), new Pt(0, -56)) };
        for (var i = 0; i < pairs; i++)
        {
            foreach (var side in new[] { -1, 1 })
            {
                var foot = new Pt(side * 1.5, -50 - (17.0 * i));
                parts.Add(Drawing.Leaf(foot, foot + new Pt(side * 13, -20), 10, "petal", 0.5));
            }
        }

        var top = new Pt(0, -52 - (17.0 * pairs));
        parts.Add(Drawing.Leaf(top, top + new Pt(0, -22), 10, "petal", 0.5));
        return new Figure(parts);
    }

    private static Figure PineTree(int tiers)
    {
        var parts = new List<FigurePart>();
        for (var i = 0; i < tiers; i++)
        {
            var (top, half) = (30.0 * i, 20 + (11.0 * i));
            parts.Add(Drawing.Line("leaf",
                $"M 0 {N(top)} C {N(-half * 0.3)} {N(top + 20)} {N(-half * 0.7)} {N(top + 32)} {N(-half)} {N(top + 38)} C "
                    + $"{N(-half * 0.3)} {N(top + 46)} {N(half * 0.3)} {N(top + 46)} {N(half)} {N(top + 38)} C {N(half * 0.7)} "
                    + $"{N(top + 32)} {N(half * 0.3)} {N(top + 20)} 0 {N(top)}") with
            { Kind = FigureKind.Shape, Layer = tiers - i });
        }

        var foot = (30.0 * (tiers - 1)) + 44;
        parts.Add(Drawing.Line("stem", new Pt(0, foot), new Pt(0, foot + 18)));
        return new Figure(parts);
    }

    private static Figure Feather(int pairs)
    {
        var parts = new List<FigurePart> { Drawing.Leaf(new Pt(0, 0), new Pt(14, -100), 40, "outline", 0.5),
            Drawing.Line("stem", new Pt(-6, 30), new Pt(-2, 2), new Pt(5, -48), new Pt(11, -84)) };
        for (var i = 0; i < pairs; i++)
        {
            var up = 14 + (60.0 * i / Math.Max(1, pairs - 1));
            var foot = new Pt(-1 + (up * 0.11), -up);
            var reach = 14 * Math.Sin(Math.PI * (up + 6) / 96);
            parts.Add(Drawing.Line("vein", foot, foot + new Pt(-reach, -reach * 0.7)));
            parts.Add(Drawing.Line("vein", foot + new Pt(0.6, -5), foot + new Pt(reach, -5 - (reach * 0.9))));
        }

        return new Figure(parts);
    }

    private static Figure Daisy(int petals)
    {
        var width = Math.Min(16, 2 * Math.PI * 34 / petals * 0.82);
        return new([.. Drawing.Round(petals, d => [Drawing.Petal(Drawing.Polar(O, 14, d), Drawing.Polar(O, 48, d), width)]),
            Drawing.Circle("centre", O, 12)]);
    }

    private static Figure FivePetal(int petals)
    {
        var width = 2 * 36 * Math.Tan(Math.PI / petals) * 0.84;
        return new(
        [
            .. Drawing.Round(petals, d => [Drawing.Petal(Drawing.Polar(O, 7, d), Drawing.Polar(O, 48, d), width)]),
            .. Drawing.Round(petals, d => [Drawing.Line("vein", Drawing.Polar(O, 12, d), Drawing.Polar(O, 24, d))]),
            FigurePart.Dot("centre", O),
        ]);
    }

    private static Figure Sunflower(int petals) => new(
    [
        .. Drawing.Round(petals, d => [Drawing.Leaf(Drawing.Polar(O, 22, d), Drawing.Polar(O, 50, d), 2 * Math.PI * 30 / petals * 0.86,
            "petal", 0.4)]),
        Drawing.Circle("centre", O, 20),
        .. Drawing.Round(7, d => [FigurePart.Dot("dot", Drawing.Polar(O, 11, d))]),
        FigurePart.Dot("dot", O),
    ]);

    private static Figure BellSpike(int bells)
    {
        var height = (22.0 * bells) + 56;
        var parts = new List<FigurePart> { Drawing.Line("stem", O, new Pt(3, -height * 0.4), new Pt(-2, -height * 0.75),
            new Pt(4, -height)) };
        for (var i = 0; i < bells; i++)
        {
            var side = i % 2 == 0 ? -1 : 1;
            var scale = 1 - (0.42 * i / bells);
            var foot = new Pt(1, -54 - (22.0 * i));
            var bell = Drawing.Written(
                "stem line M 0 0 C 5 -7 11 -8 15 -3\npetal shape M 15 -3 C 6 3 8 14 3 22 C 8 20 11 21 15 25 C 19 21 22 20 27 22 C 22 14 "
                    + "24 3 15 -3");
            parts.AddRange(bell.Map(p => foot + new Pt(side * p.X * scale, p.Y * scale)).Parts);
        }

        parts.Add(Drawing.Leaf(new Pt(1, -8), new Pt(-26, -26), 11));
        parts.Add(Drawing.Leaf(new Pt(1, -4), new Pt(28, -18), 11));
        return new Figure(parts);
    }

    private static Figure Lavender(int tiers)
    {
        var parts = new List<FigurePart> { Drawing.Line("stem", O, new Pt(-3, -40), new Pt(0, -60 - (15.0 * tiers))) };
        for (var i = 0; i < tiers; i++)
        {
            var up = 62 + (15.0 * i);
            var wide = 15 - (1.4 * i);
            foreach (var side in new[] { -1, 1 })
            {
                parts.Add(Drawing.Petal(new Pt(side * 1.2, -up), new Pt(side * wide, -up - 11), 9));
            }
        }

        parts.Add(Drawing.Petal(new Pt(0, -62 - (15.0 * tiers)), new Pt(0, -78 - (15.0 * tiers)), 9));
        parts.Add(Drawing.Leaf(new Pt(-1, -12), new Pt(-20, -38), 8));
        parts.Add(Drawing.Leaf(new Pt(-1, -16), new Pt(17, -44), 8));
        return new Figure(parts);
    }

    private static Figure FlowerStem(int petals) => new(
    [
        Drawing.Line("stem", new Pt(0, 24), new Pt(4, 52), new Pt(-1, 92)),
        .. Leafed(new Pt(3, 66), new Pt(34, 50)),
        .. Leafed(new Pt(1, 78), new Pt(-30, 62)),
        .. Drawing.Round(petals, d => [Drawing.Petal(Drawing.Polar(O, 9, d), Drawing.Polar(O, 30, d), 2 * Math.PI * 22 / petals * 0.86)]),
        Drawing.Circle("centre", O, 7.5),
    ]);

    private static Figure BerrySprig(int berries)
    {
        var height = (17.0 * berries) + 24;
        Pt On(double up) => new(7 * Math.Sin(up / height * Math.PI * 1.2), -up);
        var parts = new List<FigurePart> { Drawing.Line("stem", O, On(height * 0.33), On(height * 0.66), On(height - 6)) };
        for (var i = 0; i < berries; i++)
        {
            var side = i % 2 == 0 ? -1 : 1;
            var foot = On(18 + (17.0 * i));
            var at = foot + new Pt(side * 17, -13);
            parts.Add(Drawing.Line("stem", foot, Pt.Lerp(foot, at, 0.68)));
            parts.Add(Drawing.Circle("petal", at, 6.6));
        }

        parts.Add(Drawing.Circle("petal", On(height - 6) + new Pt(0, -6.6), 6.6));
        return new Figure(parts);
    }

    private static FigurePart[] Leafed(Pt foot, Pt tip) => [Drawing.Leaf(foot, tip, foot.To(tip) * 0.42), Drawing.Vein(foot, tip)];

    private static string N(double v) => v.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture);
}
