using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>Motifs that are drawn to be filled: areas in layers, each with its colour.</summary>
internal static class Rich
{
    private static readonly Pt O = new(0, 0);

    public static IReadOnlyList<Motif> All { get; } =
    [
        Fixed("songbird", "songbird", MotifShelf.Creatures, SongBird),
        Fixed("striped-bee", "striped bee", MotifShelf.Creatures, Drawing.Written("""
            wing shape M 0 -11 C -22 -18 -38 -44 -22 -52 C -6 -58 6 -32 0 -11
            wing shape M 8 -11 C 6 -30 18 -50 32 -46 C 44 -40 30 -18 8 -11
            stem@1 line M 38 9 L 48 11
            body@1 shape M -38 8 C -38 -6 -22 -13 0 -13 C 22 -13 39 -4 39 9 C 39 20 22 29 0 29 C -22 29 -38 22 -38 8
            stripe@2 shape M -13 -12 C -19 0 -19 16 -13 28 L -1 29 C -7 16 -7 0 -1 -13 L -13 -12
            stripe@2 shape M 11 -12.5 C 6 0 6 16 11 28.5 L 22 26 C 18 14 18 2 22 -9.5 L 11 -12.5
            head@2 shape M -39 -7 C -31 -7 -27 -1 -27 6 C -27 13 -32 18 -39 18 C -46 18 -51 13 -51 6 C -51 -1 -46 -7 -39 -7
            stem@3 line M -44 -6 C -48 -15 -53 -19 -59 -19
            stem@3 line M -38 -7 C -40 -17 -43 -22 -49 -26
            eye@3 dot -43 3
            """)),
        Fixed("prickly-hedgehog", "prickly hedgehog", MotifShelf.Creatures, Hedgehog),
        Fixed("fox-face", "fox face", MotifShelf.Creatures, Drawing.Written("""
            ear shape M -46 -48 C -44 -26 -38 -10 -26 0 L -6 -24 C -18 -32 -32 -42 -46 -48
            ear shape M 46 -48 C 44 -26 38 -10 26 0 L 6 -24 C 18 -32 32 -42 46 -48
            inner-ear@1 shape M -40 -39 C -38 -26 -34 -16 -27 -8 L -15 -22 C -24 -28 -32 -34 -40 -39
            inner-ear@1 shape M 40 -39 C 38 -26 34 -16 27 -8 L 15 -22 C 24 -28 32 -34 40 -39
            face@2>90 shape M 0 50 C -14 38 -46 22 -48 -2 C -40 -22 -18 -27 0 -25 C 18 -27 40 -22 48 -2 C 46 22 14 38 0 50
            cheek@3 shape M 0 50 C -14 38 -46 22 -48 -2 C -34 0 -20 6 -13 18 C -8 28 -4 36 0 50
            cheek@3 shape M 0 50 C 14 38 46 22 48 -2 C 34 0 20 6 13 18 C 8 28 4 36 0 50
            nose@4 shape M -7 44 C -7 39 7 39 7 44 C 7 49 3 52 0 53 C -3 52 -7 49 -7 44
            eye@4 dot -18 2
            eye@4 dot 18 2
            """)),
        Fixed("eye", "eye", MotifShelf.Things, Drawing.Written("""
            lash line M -25 -32 C -30 -34 -35 -38 -38 -43
            lash line M -15 -43 C -18 -47 -21 -52 -22 -57
            white shape M -30 0 C -30 -32 -18 -46 0 -46 C 18 -46 30 -32 30 0 C 30 32 18 46 0 46 C -18 46 -30 32 -30 0
            iris@1 shape M -15 6 C -15 -10 -6 -18 6 -18 C 18 -18 26 -10 26 6 C 26 22 18 32 6 32 C -6 32 -15 22 -15 6
            pupil@2 shape M -5 7 C -5 -1 0 -6 6 -6 C 12 -6 17 -1 17 7 C 17 15 12 20 6 20 C 0 20 -5 15 -5 7
            spark@3 dot 12 0
            """)),
        Fixed("cheek", "cheek", MotifShelf.Things, new([Drawing.Circle("cheek", O, 30), Drawing.Circle("inner-cheek", new(3, 4), 14) with { Layer = 1 }])),
        Fixed("sailing-boat", "sailing boat", MotifShelf.Things, Drawing.Written("""
            wave line M -58 50 C -50 44 -44 44 -36 50 C -28 56 -22 56 -14 50 C -6 44 0 44 8 50 C 16 56 22 56 30 50 C 38 44 46 44 56 50
            mast line M 0 20 L 0 -56
            flag@1 shape M 0 -57 L 18 -51 L 0 -45 L 0 -57
            sail@1>90 shape M 4 -42 C 22 -28 36 -10 40 12 L 4 12 L 4 -42
            jib@1>90 shape M -4 -38 C -14 -24 -28 -8 -36 12 L -4 12 L -4 -38
            hull@1 shape M -46 18 L 48 18 C 44 32 36 40 28 43 L -26 43 C -36 40 -43 32 -46 18
            stripe@2 shape M -45 23 L 47 23 L 45 29 L -43 29 L -45 23
            """)),
        new("round-emblem", "round emblem", MotifShelf.Things, Emblem, new("stripes", 2, 3, 5)) { Rich = true },
        new("great-sunflower", "great sunflower", MotifShelf.Flowers, GreatSunflower, new("petals", 12, 16, 22)) { Rich = true },
        Fixed("cornflower-stalk", "cornflower on its stalk", MotifShelf.Flowers, Cornflower),
        new("ox-eye-stalk", "ox-eye on its stalk", MotifShelf.Flowers, OxEye, new("petals", 9, 13, 18)) { Rich = true },
        Fixed("buttercup-stalk", "buttercup on its stalk", MotifShelf.Flowers, Buttercup),
        new("umbel-stalk", "umbel on its stalk", MotifShelf.Flowers, Umbel, new("rays", 5, 7, 11)) { Rich = true },
    ];

    private static Motif Fixed(string id, string name, MotifShelf shelf, Figure figure) =>
        new(id, name, shelf, _ => figure) { Rich = true };

    private static Figure SongBird => new(
    [
        Drawing.Leaf(new(-26, 12), new(-74, 24), 11, "feather"),
        Drawing.Leaf(new(-26, 10), new(-76, 14), 11, "feather") with { Layer = 1 },
        Drawing.Leaf(new(-24, 6), new(-70, 4), 11, "feather") with { Layer = 2 },
        .. Drawing.Written("""
            stem line M 4 30 C 3 36 2 40 2 46
            stem line M 13 30 C 13 36 13 40 13 46
            stem line M -6 48 L 2 46 L 8 48
            stem line M 6 49 L 13 46 L 20 48
            beak@2 shape M 37 -27 L 54 -21 L 38 -16 L 37 -27
            body@3 shape M 39 -22 C 37 -41 12 -43 4 -27 C -3 -13 -22 -4 -34 9 C -22 30 12 37 29 18 C 41 5 35 -9 39 -22
            breast@4 shape M 37 -15 C 36 -4 39 5 29 18 C 16 32 -6 31 -20 22 C 2 20 16 8 21 -6 C 25 -14 31 -17 37 -15
            eye@5 dot 27 -28
            """).Parts,
        Drawing.Leaf(new(2, 8), new(-34, 28), 9.5, "wing-feather", 0.55) with { Layer = 5 },
        Drawing.Leaf(new(2, 4), new(-42, 20), 9.5, "wing-feather", 0.55) with { Layer = 6 },
        Drawing.Leaf(new(0, 0), new(-46, 12), 9.5, "wing-feather", 0.55) with { Layer = 7 },
        .. Drawing.Written("wing@8 shape M 10 -9 C -2 -13 -16 -4 -24 5 C -14 13 -2 14 7 9 C 13 5 14 -4 10 -9").Parts,
    ]);

    private static Figure Hedgehog => new(
    [
        .. Drawing.Written("""
            foot shape M -26 28 C -26 34 -30 36 -22 37 C -14 38 -12 34 -13 28 L -26 28
            foot shape M 24 28 C 24 34 20 36 28 37 C 36 38 38 34 37 28 L 24 28
            face shape M -60 20 C -50 8 -38 -2 -22 -4 C -12 6 -10 20 -12 30 L -40 30 C -50 30 -58 27 -60 20
            body@1>70 shape M -12 30 C -10 18 -14 4 -24 -4 C -20 -24 -2 -36 18 -34 C 44 -32 58 -10 55 14 C 54 24 50 30 42 30 L -12 30
            ear@2 shape M -28 -2 C -35 -4 -37 4 -32 8 C -26 11 -20 6 -22 0 C -23 -2 -25 -3 -28 -2
            nose@2 shape M -60 15 C -56 15 -54 18 -54 21 C -54 24 -57 26 -60 26 C -64 26 -66 24 -66 21 C -66 18 -64 15 -60 15
            eye@2 dot -39 11
            """).Parts,
        .. from row in Enumerable.Range(0, 5)
           from i in Enumerable.Range(0, 7 - (row % 2))
           let degrees = -82 + ((i + (row % 2 * 0.5)) * 30.0)
           let at = new Pt(16, 16) + (Polar(14 + (8.0 * row), degrees) * 1)
           where at.Y < 24 && at.X < 50 && at.X > -16 + (row * 0.5)
           let tip = at + Polar(9, degrees + 8)
           select Drawing.Line("prickle", at, tip) with { Layer = 2 },
    ]);

    private static Pt Polar(double radius, double degrees) => Drawing.Polar(O, radius, degrees);

    /// <summary>A disc whose top and bottom are of one colour and its middle of another, with stripes across, a rim and a button.</summary>
    private static Figure Emblem(int stripes)
    {
        const double R = 48;
        var parts = new List<FigurePart>
        {
            Slice("top", -R, -16, 0),
            Slice("bottom", 16, R, 0),
            Slice("band", -16, 16, 0),
        };
        var pitch = 32.0 / (stripes + 1);
        parts.AddRange(Enumerable.Range(1, stripes).Select(i => Slice("stripe", -16 + (pitch * i) - 1.6, -16 + (pitch * i) + 1.6, 1)));

        // A line all round, and no shape that would hide what it goes round: its ends all but meet.
        parts.Add(Drawing.Line("rim", "E 0 0 48 48 -90 269") with { Layer = 2 });
        parts.Add(Drawing.Circle("button", O, 13) with { Layer = 3 });
        parts.AddRange(Drawing.Round(4, d => [FigurePart.Dot("hole", Drawing.Polar(O, 5, d + 45)) with { Layer = 4 }]));
        return new Figure(parts);

        // What of the disc lies between two levels.
        FigurePart Slice(string role, double from, double to, int layer)
        {
            var (a, b) = (Math.Acos(-Math.Clamp(from / R, -1, 1)) * 180 / Math.PI, Math.Acos(-Math.Clamp(to / R, -1, 1)) * 180 / Math.PI);
            var ring = Enumerable.Range(0, 13).Select(i => Drawing.Polar(O, R, a + ((b - a) * i / 12)))
                .Concat(Enumerable.Range(0, 13).Select(i => Drawing.Polar(O, R, -b + ((b - a) * i / 12)))).ToArray();
            var open = ring.Where((p, i) => i == 0 || p.To(ring[i - 1]) > 1e-6).ToArray();
            return new FigurePart(role, FigureKind.Shape,
                Drawing.Closed([.. open.Select((p, i) => Curve.Line(p, open[(i + 1) % open.Length])).Where(c => c.P0.To(c.P3) > 1e-6)]),
                Layer: layer)
            {
                Flow = Direction.Between(default, new Pt(0, 1)),
            };
        }
    }

    /// <summary>Two rounds of petals, the hinder one darker, and seeds in two browns.</summary>
    private static Figure GreatSunflower(int petals)
    {
        var width = 2 * Math.PI * 32 / petals * 1.02;
        FigurePart Petal(string role, double d, double far) =>
            Drawing.Leaf(Drawing.Polar(O, 17, d), Drawing.Polar(O, far, d), width, role, 0.5);
        return new(
        [
            .. Drawing.Round(petals, d => [Petal("back-petal", d + (180.0 / petals), 48)]),
            .. Drawing.Round(petals, d => [Petal("petal", d, 50) with { Layer = 1 }]),
            Drawing.Circle("outer-centre", O, 20) with { Layer = 2 },
            Drawing.Circle("centre", O, 11) with { Layer = 3 },
        ]);
    }

    private static Figure Cornflower => new(
    [
        Drawing.Line("stem", new(0, -14), new(3, 24), new(-1, 62), new(2, 96)),
        Drawing.Leaf(new(0, 60), new(-26, 26), 7, fullest: 0.5),
        Drawing.Leaf(new(1, 74), new(28, 44), 7, fullest: 0.5),
        .. new[] { -78.0, -47, -16, 16, 47, 78 }.Select(d => Flared(d)),
        .. new[] { -30.0, 0, 30 }.Select(d =>
            Drawing.Leaf(Drawing.Polar(new(0, -24), 2, d), Drawing.Polar(new(0, -24), 17, d), 6, "inner-petal") with { Layer = 1 }),
        .. Drawing.Written("bud@2 shape M -8 -26 C -11 -18 -8 -9 0 -8 C 8 -9 11 -18 8 -26 C 3 -23 -3 -23 -8 -26").Parts,
    ]);

    /// <summary>A petal that widens to three teeth.</summary>
    private static FigurePart Flared(double degrees)
    {
        var figure = Drawing.Written("petal shape M 0 0 C -3 -8 -5 -16 -9 -24 L -4 -22 L 0 -28 L 4 -22 L 9 -24 C 5 -16 3 -8 0 0");
        return figure.Turned(degrees * Math.PI / 180).Moved(new Pt(0, -24) + Polar(4, degrees)).Parts[0];
    }

    private static Figure OxEye(int petals) => new(
    [
        Drawing.Line("stem", new(0, 6), new(-4, 40), new(2, 72), new(0, 100)),
        Drawing.Leaf(new(0, 64), new(-24, 40), 9, fullest: 0.55),
        Drawing.Leaf(new(1, 82), new(25, 56), 9, fullest: 0.55),
        .. Drawing.Round(petals, d => [Drawing.Petal(Drawing.Polar(new(0, -22), 7, d), Drawing.Polar(new(0, -22), 28, d),
            2 * Math.PI * 20 / petals * 0.86) with { Layer = 1 }]),
        Drawing.Circle("centre", new(0, -22), 8) with { Layer = 2 },
    ]);

    private static Figure Buttercup => new(
    [
        Drawing.Line("stem", new(-2, -14), new(-6, 24), new(0, 60), new(-2, 98)),
        Drawing.Line("stem", new(-4, 40), new(10, 22), new(20, 6)),
        .. Drawing.Written("""
            bud shape M 20 6 C 13 2 13 -9 20 -14 C 27 -9 27 2 20 6
            """).Parts,
        Drawing.Leaf(new(-1, 72), new(-30, 48), 10),
        Drawing.Leaf(new(-1, 78), new(-36, 74), 9),
        Drawing.Leaf(new(-1, 82), new(28, 56), 10),
        .. Drawing.Round(5, d => [Drawing.Petal(Drawing.Polar(new(-2, -24), 3, d),
            Drawing.Polar(new(-2, -24), 26, d), 20) with { Layer = 1 }]),
        Drawing.Circle("centre", new(-2, -24), 5.5) with { Layer = 2 },
    ]);

    private static Figure Umbel(int rays)
    {
        var parts = new List<FigurePart>
        {
            Drawing.Line("stem", new(0, 0), new(3, 40), new(-1, 96)),
            Drawing.Leaf(new(1, 58), new(-30, 40), 9, fullest: 0.5),
            Drawing.Leaf(new(0, 74), new(30, 52), 9, fullest: 0.5),
        };
        for (var i = 0; i < rays; i++)
        {
            var degrees = -66 + (132.0 * i / (rays - 1));
            var top = Drawing.Polar(O, 40 + (5 * Math.Cos(degrees * Math.PI / 120)), degrees);
            parts.Add(Drawing.Line("stem", O, Pt.Lerp(O, top, 0.5) + new Pt(0, -3), top));
            parts.AddRange(new[] { -70.0, -35, 0, 35, 70 }.Select(d =>
                FigurePart.Dot("blossom", Drawing.Polar(top, 7, degrees + d)) with { Layer = 1 }));
            parts.Add(FigurePart.Dot("blossom", Drawing.Polar(top, 3.5, degrees + 20)) with { Layer = 1 });
        }

        return new Figure(parts);
    }
}
