using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>Creatures, sky and things.</summary>
internal static class Things
{
    private static readonly Pt O = new(0, 0);

    public static IReadOnlyList<Motif> All { get; } =
    [
        Fixed("bird", "bird", MotifShelf.Creatures, """
            outline shape M 44 -18 C 38 -36 16 -38 8 -22 C 0 -6 -22 -4 -52 -2 C -40 22 -8 34 16 24 C 34 16 40 -2 34 -12
            outline line M 34 -12 L 44 -18
            vein@1 line M 16 -4 C 8 14 -14 14 -28 6
            stem line M 4 27 L 0 42
            stem line M 14 25 L 14 41
            dot@1 dot 22 -20
            """),
        Fixed("butterfly", "butterfly", MotifShelf.Creatures, """
            petal shape M 0 -8 C -8 -34 -48 -44 -48 -18 C -48 0 -20 6 0 -2
            petal shape M 0 -2 C -20 2 -40 14 -32 30 C -24 42 -6 24 0 8
            petal shape M 0 -8 C 8 -34 48 -44 48 -18 C 48 0 20 6 0 -2
            petal shape M 0 -2 C 20 2 40 14 32 30 C 24 42 6 24 0 8
            stem line M 0 -14 L 0 24
            stem line M 0 -14 C -4 -26 -10 -32 -18 -34
            stem line M 0 -14 C 4 -26 10 -32 18 -34
            """),
        Fixed("bee", "bee", MotifShelf.Creatures, """
            outline shape M -34 8 C -34 -8 -16 -14 0 -14 C 20 -14 36 -6 36 8 C 36 22 20 28 0 28 C -16 28 -34 24 -34 8
            vein@1 line M -14 -12 C -8 0 -8 14 -14 26
            vein@1 line M 6 -14 C 12 0 12 14 6 28
            petal shape M -4 -14 C -26 -28 -26 -48 -12 -48 C 0 -48 2 -30 -4 -14
            petal shape M 4 -14 C 4 -32 14 -46 26 -42 C 36 -36 22 -18 4 -14
            stem line M -33 2 C -40 -6 -44 -10 -50 -10
            dot@1 dot -24 4
            """),
        Fixed("ladybird", "ladybird", MotifShelf.Creatures, """
            head shape M -20 -14 C -20 -38 20 -38 20 -14 L -20 -14
            outline@1 shape M 0 -22 C 26 -22 38 0 34 20 C 30 38 14 46 0 46 C -14 46 -30 38 -34 20 C -38 0 -26 -22 0 -22
            vein@2 line M 0 -22 L 0 46
            stem line M -8 -30 C -12 -40 -18 -44 -24 -44
            stem line M 8 -30 C 12 -40 18 -44 24 -44
            dot@2 dot -17 0
            dot@2 dot 17 0
            dot@2 dot -15 24
            dot@2 dot 15 24
            """),
        Fixed("fish", "fish", MotifShelf.Creatures, """
            outline shape M -46 0 C -30 -28 10 -32 28 -4 L 50 -22 C 46 -8 46 8 50 22 L 28 4 C 10 32 -30 28 -46 0
            vein@1 line M -22 -17 C -14 -6 -14 6 -22 17
            dot@1 dot -32 -5
            """),
        Fixed("snail", "snail", MotifShelf.Creatures, """
            body shape M 60 42 L -46 42 C -58 34 -62 18 -57 4 C -55 -1 -48 -1 -46 4 C -44 14 -40 24 -30 28 L 40 28 C 48 32 56 38 60 42
            shell@1 shape M 8 34 C -18 34 -30 10 -18 -10 C -4 -32 34 -34 47 -9 C 56 10 44 34 8 34
            spiral@2 line M 10 12 C 4 2 16 -8 26 0 C 38 10 28 26 8 26 C -12 26 -20 8 -12 -8 C -2 -24 28 -26 38 -6
            stem line M -54 4 C -56 -4 -62 -10 -66 -12
            stem line M -54 4 C -50 -6 -48 -10 -44 -14
            """),
        Fixed("whale", "whale", MotifShelf.Creatures, """
            outline shape M -48 6 C -48 -24 -16 -34 8 -22 C 26 -12 34 -6 44 -14 C 36 -22 36 -32 40 -38 C 46 -36 50 -32 52 -26 C 56 -32 62 -34 68 -34 C 68 -24 62 -16 54 -12 C 50 20 20 32 -8 30 C -34 28 -48 20 -48 6
            vein@1 line M -48 8 C -34 18 -16 16 -4 8
            dot@1 dot -30 -4
            stem line M -16 -32 C -16 -44 -24 -48 -30 -46
            stem line M -16 -32 C -16 -44 -8 -48 -2 -46
            """),
        Fixed("rabbit", "rabbit", MotifShelf.Creatures, """
            outline shape M -12 -14 C -30 -44 -28 -70 -18 -70 C -8 -70 -6 -44 -4 -18 C -1 -19 1 -19 4 -18 C 6 -44 8 -70 18 -70 C 28 -70 30 -44 12 -14 C 32 -6 34 34 0 34 C -34 34 -32 -6 -12 -14
            inner-ear@1 shape M -13 -26 C -22 -44 -23 -60 -18 -62 C -12 -62 -11 -44 -10 -28 L -13 -26
            inner-ear@1 shape M 13 -26 C 22 -44 23 -60 18 -62 C 12 -62 11 -44 10 -28 L 13 -26
            dot@1 dot -11 4
            dot@1 dot 11 4
            vein@1 line M 0 14 C -2 22 -10 22 -12 18
            vein@1 line M 0 14 C 2 22 10 22 12 18
            """),
        Fixed("hedgehog", "hedgehog", MotifShelf.Creatures, """
            outline shape M -54 26 C -46 8 -36 4 -28 4 L -30 -8 L -18 -6 L -16 -20 L -4 -14 L 4 -28 L 12 -16 L 26 -24 L 28 -10 L 42 -12 L 40 2 L 52 6 L 44 16 L 52 28 L -38 30 C -44 32 -50 32 -54 26
            dot@1 dot -34 16
            """),
        Fixed("owl", "owl", MotifShelf.Creatures, """
            outline shape M -30 -40 C -20 -34 20 -34 30 -40 C 34 -24 36 -4 32 16 C 28 36 14 46 0 46 C -14 46 -28 36 -32 16 C -36 -4 -34 -24 -30 -40
            disc@1 shape M -14 -28 C -6 -28 -1 -22 -1 -15 C -1 -8 -6 -2 -14 -2 C -21 -2 -27 -8 -27 -15 C -27 -22 -21 -28 -14 -28
            disc@1 shape M 14 -28 C 22 -28 27 -22 27 -15 C 27 -8 22 -2 14 -2 C 6 -2 1 -8 1 -15 C 1 -22 6 -28 14 -28
            dot@2 dot -14 -15
            dot@2 dot 14 -15
            vein@1 line M -4 4 L 0 12 L 4 4
            vein@1 line M -12 24 C -8 30 -4 30 0 24 C 4 30 8 30 12 24
            """),
        Fixed("paw", "paw", MotifShelf.Creatures, """
            outline shape M 0 0 C 14 0 30 18 28 32 C 26 44 10 40 0 40 C -10 40 -26 44 -28 32 C -30 18 -14 0 0 0
            outline shape M -34 -12 C -26 -12 -22 -2 -22 6 C -22 14 -28 18 -34 16 C -40 14 -44 6 -44 0 C -44 -8 -40 -12 -34 -12
            outline shape M -13 -34 C -5 -34 -1 -24 -1 -16 C -1 -8 -7 -4 -13 -6 C -20 -8 -23 -14 -23 -21 C -23 -29 -19 -34 -13 -34
            outline shape M 13 -34 C 19 -34 23 -29 23 -21 C 23 -14 20 -8 13 -6 C 7 -4 1 -8 1 -16 C 1 -24 5 -34 13 -34
            outline shape M 34 -12 C 40 -12 44 -8 44 0 C 44 6 40 14 34 16 C 28 18 22 14 22 6 C 22 -2 26 -12 34 -12
            """),
        new("heart", "heart", MotifShelf.Things, _ => Drawing.Written(
            "outline shape M 0 44 C -26 22 -48 4 -48 -18 C -48 -36 -34 -46 -22 -46 C -12 -46 -4 -38 0 -28 C 4 -38 12 -46 22 -46 C 34 -46 "
                + "48 -36 48 -18 C 48 4 26 22 0 44")),
        Fixed("open-heart", "open heart", MotifShelf.Things, """
            outline line M 8 52 C -10 36 -44 10 -48 -14 C -50 -34 -36 -46 -24 -46 C -12 -46 -4 -36 0 -24 C 2 -38 14 -48 28 -44 C 46 -38 48 -14 32 8 C 22 22 12 30 2 38
            """),
        new("star", "star", MotifShelf.Sky, n => Star(n, 50, 0.42), new("points", 4, 5, 8)),
        new("snowflake", "snowflake", MotifShelf.Sky, Snowflake, new("arms", 6, 6, 6)),
        Fixed("moon", "moon", MotifShelf.Sky,
            "outline shape M 12 -48 C -22 -44 -40 -22 -40 2 C -40 30 -18 50 10 50 C 24 50 36 44 42 36 C 12 38 -8 20 -8 -6 C -8 -24 0 -40 "
                + "12 -48"),
        new("sun", "sun", MotifShelf.Sky, n => new([Drawing.Circle("disc", O, 22),
            .. Drawing.Round(n, d => [Drawing.Line("petal", Drawing.Polar(O, 31, d), Drawing.Polar(O, 48, d))])]), new("rays", 8, 12, 16)),
        Fixed("cloud", "cloud", MotifShelf.Sky,
            "outline shape M -40 22 C -58 22 -60 -4 -40 -6 C -40 -26 -14 -34 -4 -18 C 8 -34 34 -26 32 -6 C 54 -8 56 22 36 22 L -40 22"),
        new("rainbow", "rainbow", MotifShelf.Sky, n => new([.. Enumerable.Range(0, n).Select(i => Arch(Bows[i], 50 - (9.0 * i)))]),
            new("bows", 2, 3, 4)),
        Fixed("bow", "bow", MotifShelf.Things, """
            outline shape M -6 -6 C -24 -30 -52 -28 -50 -4 C -50 20 -24 20 -6 6
            outline shape M 6 -6 C 24 -30 52 -28 50 -4 C 50 20 24 20 6 6
            knot@1 shape M -6 -6 C -3 -9 3 -9 6 -6 C 9 -3 9 3 6 6 C 3 9 -3 9 -6 6 C -9 3 -9 -3 -6 -6
            stem line M -5 8 C -12 22 -24 34 -36 44
            stem line M 5 8 C 12 22 24 34 36 44
            """),
        Fixed("anchor", "anchor", MotifShelf.Things, """
            ring line E 0 -39 11 11 -90 268
            outline line M 0 -28 L 0 46
            outline line M -20 -14 L 20 -14
            outline line M -42 16 C -38 36 -20 46 0 46 C 20 46 38 36 42 16
            outline line M -50 26 L -42 14 L -31 22
            outline line M 50 26 L 42 14 L 31 22
            """),
        Fixed("boat", "boat", MotifShelf.Things, """
            outline shape M -46 16 L 46 16 C 42 30 34 38 26 42 L -26 42 C -34 38 -42 30 -46 16
            stem line M -2 16 L -2 -52
            petal shape M 4 -46 C 24 -34 36 -14 38 6 L 4 6 L 4 -46
            petal shape M -8 -38 C -24 -24 -32 -8 -34 6 L -8 6 L -8 -38
            """),
        Fixed("balloon", "balloon", MotifShelf.Things, """
            outline shape M 0 28 C -20 18 -34 -2 -34 -22 C -34 -42 -18 -54 0 -54 C 18 -54 34 -42 34 -22 C 34 -2 20 18 0 28
            stem line M 0 28 C -10 42 10 56 0 72
            vein@1 line M 18 -36 C 22 -30 24 -22 22 -14
            """),
        Fixed("house", "house", MotifShelf.Things, """
            wall shape M -38 -6 L -38 44 L 38 44 L 38 -6 L -38 -6
            roof@1 shape M -54 -4 L 0 -52 L 54 -4 L -54 -4
            door@2 shape M -24 44 L -24 16 C -24 8 -4 8 -4 16 L -4 44 L -24 44
            window@2 shape M 10 10 L 26 10 L 26 26 L 10 26 L 10 10
            """),
        Fixed("key", "key", MotifShelf.Things, """
            ring line E 0 -26 24 24 -90 268
            outline line M 0 -2 L 0 54
            outline line M 0 52 L 18 52
            outline line M 0 36 L 14 36
            dot dot 0 -26
            """),
        Fixed("crown", "crown", MotifShelf.Things, """
            outline shape M -44 30 L -50 -20 L -24 4 L 0 -34 L 24 4 L 50 -20 L 44 30 L -44 30
            dot dot -50 -31
            dot dot 0 -45
            dot dot 50 -31
            """),
        Fixed("teacup", "teacup", MotifShelf.Things, """
            outline shape M -36 -10 L 32 -10 C 32 18 20 38 -2 38 C -24 38 -36 18 -36 -10
            outline line M 31 -2 C 50 -8 54 18 27 18
            stem line M -46 46 L 42 46
            vein line M -14 -22 C -20 -32 -8 -36 -14 -46
            vein line M 8 -22 C 2 -32 14 -36 8 -46
            """),
        Fixed("tree", "tree", MotifShelf.Leaves, """
            outline shape M 0 8 C -18 16 -42 4 -36 -14 C -46 -30 -28 -46 -16 -40 C -8 -56 18 -54 22 -40 C 40 -42 48 -20 36 -10 C 42 8 16 16 0 8
            stem line M 0 8 L 0 52
            stem line M 0 28 C 8 20 12 14 14 4
            stem line M 0 20 C -8 12 -10 6 -12 -4
            """),
        Fixed("needle", "needle and thread", MotifShelf.Things, """
            outline shape M -34 34 L 26 -34 C 32 -42 42 -42 44 -36 C 46 -30 40 -26 34 -22 L -34 34
            stem line M 38 -32 C 56 -20 52 6 34 4 C 18 2 24 -14 36 -8 C 54 2 48 34 22 34 C 6 34 0 44 8 52
            """),
    ];

    private static Motif Fixed(string id, string name, MotifShelf shelf, string text)
    {
        var figure = Drawing.Written(text);
        return new(id, name, shelf, _ => figure);
    }

    /// <summary>A star of so many points: outer corners on a circle, inner ones on a smaller.</summary>
    internal static Figure Star(int points, double radius, double inner)
    {
        var corners = Enumerable.Range(0, 2 * points).Select(i =>
            Drawing.Polar(O, i % 2 == 0 ? radius : radius * inner, 180.0 * i / points)).ToArray();
        return new([new FigurePart("outline", FigureKind.Shape,
            new Stroke([.. corners.Select((c, i) => Curve.Line(c, corners[(i + 1) % corners.Length]))], true))]);
    }

    private static Figure Snowflake(int arms) => new([.. Drawing.Round(arms, d =>
    {
        FigurePart Twig(double at, double reach, double aside) =>
            Drawing.Line("vein", Drawing.Polar(O, at, d), Drawing.Polar(O, at, d) + (Drawing.Polar(O, reach, d + aside) - O));
        return [Drawing.Line("stem", O, Drawing.Polar(O, 50, d)), Twig(22, 13, 60), Twig(22, 13, -60), Twig(36, 10, 60), Twig(36, 10, -60)];
    })]);

    private static string[] Bows => ["first-bow", "second-bow", "third-bow", "fourth-bow"];

    /// <summary>A band of a rainbow: half a ring, as wide as eight of a hundred.</summary>
    private static FigurePart Arch(string role, double outer)
    {
        var ring = Enumerable.Range(0, 13).Select(i => Drawing.Polar(O, outer, -90 + (15.0 * i)))
            .Concat(Enumerable.Range(0, 13).Select(i => Drawing.Polar(O, outer - 8, 90 - (15.0 * i)))).ToArray();
        var (over, under) = (Drawing.Through(ring[..13], false).Curves, Drawing.Through(ring[13..], false).Curves);
        return new FigurePart(role, FigureKind.Shape, Drawing.Closed([.. over, Curve.Line(ring[12], ring[13]), .. under,
            Curve.Line(ring[25], ring[0])]));
    }
}
