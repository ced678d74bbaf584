using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>
/// How a motif is repeated. <paramref name="Aspect"/> is width to height of the room it is to fill: borders and scatters take its shape.
/// </summary>
public sealed record Repeat(string Arrangement, int Count, bool Middle = false, double Aspect = 1, int Seed = 0);

/// <summary>
/// Motifs laid out as makers lay them: a row, a zig-zag stem, a ring evenly turned, a corner spray, a border that closes on itself, an even
/// scatter. The whole is drawn about its own middle, in units of one motif's larger side.
/// </summary>
public static class Arranging
{
    public static IReadOnlyList<string> Ids { get; } = ["one", "row", "zigzag", "ring", "border", "scatter", "corner", "pair"];

    public const int MostCopies = 60;

    /// <summary>From motif to motif, in widths: with air between (from memory).</summary>
    private const double Pitch = 1.22;

    /// <summary>Air between the two that stand beside one at a corner, in motif sizes (from memory).</summary>
    private const double CornerAir = 0.12;

    /// <summary>Tries for each place of a scatter: the farthest of so many is taken (Mitchell 1991).</summary>
    private const int Tries = 24;

    /// <summary>How many there are where nobody said.</summary>
    public static int UsualCount(string arrangement) =>
        arrangement switch { "row" => 3, "zigzag" => 5, "ring" => 6, "border" => 16, "scatter" => 9, "corner" => 3, "pair" => 2, _ => 1 };

    /// <summary>Least that makes sense.</summary>
    public static int LeastCount(string arrangement) =>
        arrangement switch { "ring" or "pair" => 2, "border" => 4, "corner" => 3, "row" or "zigzag" or "scatter" => 2, _ => 1 };

    /// <summary>The whole drawing. Counts are held between the least that makes sense and <see cref="MostCopies"/>.</summary>
    public static Figure Lay(Figure motif, Repeat how)
    {
        var unit = motif.Centred();
        var size = Math.Max(unit.Width, unit.Height);
        var one = size > 0 ? unit.Scaled(1 / size) : unit;
        var count = Math.Clamp(how.Count, LeastCount(how.Arrangement), MostCopies);
        return (how.Arrangement switch
        {
            "row" => Row(one, count),
            "zigzag" => ZigZag(one, count),
            "ring" => Ring(one, count, how.Middle),
            "border" => Border(one, count, how.Aspect),
            "scatter" => Scatter(one, count, how.Aspect, how.Seed),
            "corner" => Corner(one, count),
            "pair" => Pair(one),
            _ => one,
        }).Centred();
    }

    /// <summary>
    /// Places and turns of a ring: so many, evenly turned, at a radius in motif sizes at which neighbours keep their distance.
    /// </summary>
    public static IReadOnlyList<(Pt At, double Radians)> RingPlaces(int count, double width, bool middle)
    {
        var radius = Math.Max(Pitch * width / (2 * Math.Sin(Math.PI / count)), middle ? 1.15 : 0.6);
        return Enumerable.Range(0, count).Select(i => Math.Tau * i / count).Select(a =>
            (new Pt(radius * Math.Sin(a), -radius * Math.Cos(a)), a)).ToArray();
    }

    /// <summary>
    /// Places of an even scatter in a box, in motif sizes: each the farthest from those before it of some tries that come from the seed;
    /// edges count as half a neighbour.
    /// </summary>
    public static IReadOnlyList<Pt> ScatterPlaces(int count, double width, double height, int seed)
    {
        var places = new List<Pt>();
        var chance = new Measures.SeededRandom(seed);
        for (var i = 0; i < count; i++)
        {
            var (best, most) = (default(Pt), -1.0);
            for (var k = 0; k < Tries * (i + 1); k++)
            {
                var p = new Pt(chance.Next() * width, chance.Next() * height);
                var edge = Math.Min(Math.Min(p.X, width - p.X), Math.Min(p.Y, height - p.Y));
                var far = (2 * edge) + 0.2;
                for (var n = 0; n < places.Count && far > most; n++)
                {
                    far = Math.Min(far, places[n].To(p));
                }

                if (far > most)
                {
                    (best, most) = (p, far);
                }
            }

            places.Add(best);
        }

        return places;
    }

    private static Figure All(IEnumerable<Figure> figures) => new([.. figures.SelectMany((f, i) => f.AsCopy(i).Parts)]);

    private static Figure Row(Figure one, int count) =>
        All(Enumerable.Range(0, count).Select(i => one.Moved(new Pt(i * one.Width * Pitch, 0))));

    /// <summary>
    /// Two that look at each other over a middle line, each the other's mirror image, one of them wide apart: as eyes stand in a drawn face
    /// (common practice: the room of a third eye between two).
    /// </summary>
    private static Figure Pair(Figure one) => All([one.Moved(new Pt(-one.Width, 0)),
        one.Map(p => new Pt(-p.X, p.Y)).Moved(new Pt(one.Width, 0))]);

    /// <summary>
    /// How much larger or smaller each motif of a ring is with another number of them, the whole ring as large as before: 1 is as large.
    /// </summary>
    public static double RingShare(Figure motif, int count, int other, bool middle)
    {
        double Size(int n) => Lay(motif, new Repeat("ring", n, middle)) is var laid ? Math.Max(laid.Width, laid.Height) : 1;
        return Size(count) / Size(other);
    }

    /// <summary>A stem that swings from side to side, with one at the outside of every bend, turned outward in turn.</summary>
    private static Figure ZigZag(Figure one, int count)
    {
        const double Step = 0.8;
        const double Swing = 0.34;
        Pt Bend(int i) => new(i * Step, i % 2 == 0 ? Swing : -Swing);
        var stem = Enumerable.Range(0, count + 1).Select(i => i == 0 ? new Pt(-Step * 0.6, 0)
            : Bend(i - 1)).Append(new Pt(((count - 1) * Step) + (Step * 0.6), 0)).ToArray();
        var motifs = Enumerable.Range(0, count).Select(i =>
        {
            var up = i % 2 != 0;
            var turned = up ? one : one.Turned(Math.PI);
            return turned.Moved(Bend(i) + new Pt(0, (up ? -1 : 1) * ((one.Height / 2) + 0.06)));
        });
        return new([new FigurePart("stem", FigureKind.Line, Drawing.Through(stem, false), Copy: -1), .. All(motifs).Parts]);
    }

    private static Figure Ring(Figure one, int count, bool middle)
    {
        var round = All(RingPlaces(count, one.Width, middle).Select(p => one.Turned(p.Radians).Moved(p.At)));
        return middle ? round.With(one.AsCopy(count)) : round;
    }

    /// <summary>One in the corner, looking in, and on both sides smaller and smaller ones that turn along the edges.</summary>
    private static Figure Corner(Figure one, int count)
    {
        var figures = new List<Figure> { one.Turned(Math.PI / 4).Moved(new Pt(0.2, -0.2)) };
        var (at, scale) = (0.95, 0.82);
        for (var i = 1; i < count; i += 2)
        {
            figures.Add(one.Scaled(scale).Turned(Math.PI / 2).Moved(new Pt(at, 0)));
            figures.Add(one.Scaled(scale).Moved(new Pt(0, -at)));
            at += scale * Pitch;
            scale *= 0.84;
        }

        return All(figures);
    }

    /// <summary>
    /// Round a rectangle, each with its foot to the inside. An even number has one turned at every corner and the others evened along each
    /// side; an odd one goes round corners that are rounded, the same way from each to the next. The whole box, motifs included, is
    /// <paramref name="aspect"/> times as wide as high.
    /// </summary>
    private static Figure Border(Figure one, int count, double aspect)
    {
        var pitch = one.Width * Pitch;
        var beside = Math.Max(pitch, ((one.Width + one.Height) / 2) + CornerAir);
        var way = count < 8 ? count * beside : (8 * beside) + ((count - 8) * pitch);
        var height = Math.Max(beside, ((way / 2) - (aspect * one.Height) + one.Height) / (1 + aspect));
        var width = Math.Max(beside, (aspect * (height + one.Height)) - one.Height);
        return count % 2 == 0 ? Cornered(one, count, width, height, pitch, beside) : Rounded(one, count, width, height);
    }

    private static Figure Cornered(Figure one, int count, double width, double height, double pitch, double beside)
    {
        var both = (count - 4) / 2;
        var level = Enumerable.Range(0, both + 1).MinBy(n => Math.Abs(width - Length(n)) + Math.Abs(height - Length(both - n)));
        var (x, y) = (width / 2, height / 2);
        (Pt From, Pt To, int Count)[] sides = [(new(-x, -y), new(x, -y), level), (new(x, -y), new(x, y), both - level),
            (new(x, y), new(-x, y), level), (new(-x, y), new(-x, -y), both - level)];
        return All(sides.SelectMany((side, i) => Side(side.From, side.To, side.Count).Select((at, k) =>
            one.Turned((i * Math.PI / 2) - (k == 0 ? Math.PI / 4 : 0)).Moved(at))));

        double Length(int n) => n == 0 ? beside : (2 * beside) + ((n - 1) * pitch);

        // The corner it begins at, and those along it.
        IEnumerable<Pt> Side(Pt from, Pt to, int n)
        {
            var free = n < 2 ? 0.5 : Math.Min(0.5, beside / from.To(to));
            return Enumerable.Range(0, n).Select(i =>
                Pt.Lerp(from, to, n == 1 ? 0.5 : free + ((1 - (2 * free)) * i / (n - 1)))).Prepend(from);
        }
    }

    private static Figure Rounded(Figure one, int count, double width, double height)
    {
        var round = Math.Min(width, height) * 0.28;
        var path = RoundedRectangle(width, height, round);
        var along = new double[path.Count + 1];
        for (var i = 1; i <= path.Count; i++)
        {
            along[i] = along[i - 1] + path[i - 1].To(path[i % path.Count]);
        }

        return All(Enumerable.Range(0, count).Select(i =>
        {
            var s = along[^1] * (i + 0.5) / count;
            var k = Math.Clamp(Array.FindLastIndex(along, a => a <= s), 0, path.Count - 1);
            var (a, b) = (path[k], path[(k + 1) % path.Count]);
            var d = b - a;
            return one.Turned(Math.Atan2(d.Y, d.X)).Moved(Pt.Lerp(a, b, (s - along[k]) / d.Length));
        }));
    }

    /// <summary>
    /// How many motifs of <paramref name="sizeMm"/> go round a box of this size, mm: an even number, so that every corner has one.
    /// <paramref name="share"/> is the motif's width by its larger side.
    /// </summary>
    public static int BorderCount(double widthMm, double heightMm, double sizeMm, double share) => Math.Clamp(
        2 * (int)Math.Round((widthMm + heightMm - (2 * sizeMm)) / (sizeMm * share * Pitch)), 8, MostCopies);

    private static List<Pt> RoundedRectangle(double width, double height, double round)
    {
        var points = new List<Pt>();
        (double X, double Y, double From)[] corners = [((width / 2) - round, (-height / 2) + round, 0),
            ((width / 2) - round, (height / 2) - round, 90), ((-width / 2) + round, (height / 2) - round, 180),
            ((-width / 2) + round, (-height / 2) + round, 270)];
        foreach (var (x, y, from) in corners)
        {
            points.AddRange(Enumerable.Range(0, 19).Select(i => Drawing.Polar(new Pt(x, y), round, from + (5 * i))));
        }

        return points;
    }

    /// <summary>The box an even scatter takes, in motif sizes: each copy has the room of about three of its own.</summary>
    public static (double Width, double Height) ScatterBox(int count, double aspect) =>
        (Math.Sqrt(count * 2.6 * aspect), Math.Sqrt(count * 2.6 / aspect));

    private static Figure Scatter(Figure one, int count, double aspect, int seed)
    {
        var (width, height) = ScatterBox(count, aspect);
        return All(ScatterPlaces(count, width, height, seed).Select((p, i) => one.Turned(Math.Tau * Golden * i).Moved(p)));
    }

    /// <summary>Turns by the golden section never fall into a rhythm.</summary>
    private const double Golden = 0.6180339887498949;
}
