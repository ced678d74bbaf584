using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>Groups of the motif sheet.</summary>
public enum MotifShelf
{
    Leaves,
    Flowers,
    Fruit,
    Creatures,
    Sky,
    Things,
    Frames,
    Own,
}

/// <summary>What is counted in a motif (petals, leaves, arms): its word, the usual number and what it may be.</summary>
public sealed record Counted(string What, int Least, int Usual, int Most);

/// <summary>
/// How a motif is varied: how many petals or leaves, how far it leans (radians, to the right), whether it is mirrored, and how unsteady the
/// line is, as a share of its size. The unsteadiness takes its turns from <paramref name="Seed"/>: the same seed draws the same line.
/// </summary>
public sealed record MotifShape(int? Count = null, double LeanRadians = 0, bool Mirrored = false, double Wobble = 0, int Seed = 0);

/// <summary>
/// A motif of our own drawing, in parts that say what they are. <paramref name="Build"/> draws it with so many of what is counted; size and
/// place come later. A frame is drawn to a width and a height instead of in its own proportions, by <paramref name="BuildTo"/>.
/// </summary>
public sealed record Motif(string Id, string Name, MotifShelf Shelf, Func<int, Figure> Build, Counted? Counted = null, Func<int?, double,
    double, Figure>? BuildTo = null)
{
    /// <summary>
    /// What each of its roles is coloured where nobody chose: an id of our palette. A role that is not named takes the main colour, or
    /// green where it is a stem or a leaf.
    /// </summary>
    public IReadOnlyDictionary<string, string> Wears { get; init; } = Colouring.Of(Id);

    /// <summary>Whether it is drawn to be filled: as an outline alone much of it would be lost.</summary>
    public bool Rich { get; init; }

    /// <summary>Most the line may stray, as a share of the size (from memory): more and petals part from their centre.</summary>
    public const double MostWobble = 0.06;

    public const double MostLeanRadians = Math.PI / 4;

    /// <summary>The motif varied, about the middle of its box.</summary>
    public Figure Draw(MotifShape? shape = null)
    {
        shape ??= new MotifShape();
        return Varied(Build(Counted is null ? 0 : Math.Clamp(shape.Count ?? Counted.Usual, Counted.Least, Counted.Most)), shape);
    }

    /// <summary>The motif as large as goes into a width and a height, proportions kept; either may be infinite.</summary>
    public Figure DrawWithin(double width, double height, MotifShape? shape = null) => Draw(shape).Within(width, height);

    /// <summary>Share of a motif that is no frame in whose middle something can stand (from memory): a heart's.</summary>
    private const double Hollow = 0.55;

    /// <summary>The motif round something of this width and height: a frame is drawn to it, anything else is made large enough.</summary>
    public Figure DrawAround(double width, double height, MotifShape? shape = null)
    {
        if (BuildTo is { } to)
        {
            return Varied(to(shape?.Count, width, height), shape ?? new MotifShape());
        }

        var drawn = Draw(shape);
        return drawn.Scaled(Math.Max(width / (Hollow * drawn.Width), height / (Hollow * drawn.Height)));
    }

    /// <summary>
    /// A whole drawing as a hand draws it: no petal and no copy quite like the other. <paramref name="size"/> is that of one motif in it,
    /// in its unit.
    /// </summary>
    public static Figure Natural(Figure whole, double size, int seed) => size <= 0 ? whole
        : whole.Map(p => p + (Stray(p * (1.6 / size), seed) * (NaturalShare * size)));

    /// <summary>How far a natural hand strays, as a share of the motif (from memory).</summary>
    private const double NaturalShare = 0.012;

    private static Figure Varied(Figure figure, MotifShape shape)
    {
        var drawn = figure.Centred();
        var size = Math.Max(drawn.Width, drawn.Height);
        if (shape.LeanRadians != 0)
        {
            var lean = Math.Tan(shape.LeanRadians);
            drawn = drawn.Map(p => new Pt(p.X - (lean * p.Y), p.Y));
        }

        if (shape.Wobble > 0)
        {
            drawn = drawn.Map(p => p + Stray(p * (1 / size), shape.Seed) * (shape.Wobble * size));
        }

        return (shape.Mirrored ? drawn.Map(p => new Pt(-p.X, p.Y)) : drawn).Centred();
    }

    /// <summary>
    /// A smooth straying of the whole sheet, so that parts that touch still touch: a few waves whose beginnings come from the seed.
    /// </summary>
    private static Pt Stray(Pt p, int seed)
    {
        double Wave(int k, double along, double across)
        {
            var start = Math.Tau * Fraction(Math.Sin(((seed * 7) + k) * 12.9898) * 43758.5453);
            return Math.Sin((along * (5 + (2.3 * k))) + (across * (3 - k)) + start);
        }

        return new Pt((Wave(0, p.Y, p.X) + Wave(1, p.Y, p.X) + Wave(2, p.X, p.Y)) / 3,
            (Wave(3, p.X, p.Y) + Wave(4, p.X, p.Y) + Wave(5, p.Y, p.X)) / 3);

        static double Fraction(double v) => v - Math.Floor(v);
    }
}
