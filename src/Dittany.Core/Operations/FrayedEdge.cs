using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Operations;

/// <summary>An edge that is frayed on purpose, counted in threads, made before anything is stitched.</summary>
public static class FrayedEdge
{
    /// <summary>A fringe is asked for within this, mm, and is this where nobody said (from memory).</summary>
    public const double LeastMm = 3;

    public const double MostMm = 60;

    public const double UsualMm = 10;

    /// <summary>Seconds to draw one thread out of a side of half a metre (from memory).</summary>
    private const double SecondsPerThread = 25;

    /// <summary>Items with an edge all round that can be frayed.</summary>
    public static IReadOnlyList<string> Forms { get; } = ["napkin", "tablecloth", "tea-towel", "handkerchief", "scarf", "quilt-block"];

    /// <summary>Threads in a centimetre by how it is woven (from memory); hers is counted on the cloth.</summary>
    public static IReadOnlyList<(string Kind, double PerCm)> Counts { get; } =
        [("lawn", 36), ("linen", 14), ("half-linen", 16), ("canvas", 10), ("poplin", 40), ("wool", 14)];

    private const double UsualPerCm = 24;

    public static double ThreadsPerCm(Cloth cloth) => Counts.FirstOrDefault(c => c.Kind == cloth.Kind.Id) is { PerCm: > 0 } row ? row.PerCm
        : UsualPerCm;

    /// <summary>Why this cloth does not fray into a fringe; null where it does.</summary>
    public static string? Against(Cloth cloth) => cloth.Kind.Knit ? "A knit ladders instead of fraying."
        : cloth.Kind.Structure == Structure.Felt ? "Felt has no threads to draw."
        : cloth.Coated ? "A coating glues the threads together."
        : cloth.Pile != Pile.None ? "The loops of a pile come out with their threads." : null;

    /// <summary>Threads to draw out on each side for a fringe so wide, mm.</summary>
    public static int Threads(Cloth cloth, double fringeMm) => (int)Math.Round(fringeMm / 10 * ThreadsPerCm(cloth));

    public static Operation Of(Cloth cloth, FormSize size, double fringeMm)
    {
        var threads = Threads(cloth, fringeMm);
        var sides = 2 * (size.WidthMm + size.HeightMm) / 500;
        return new Operation("fringe", OpKind.Cut, Station.Item, Place.Table,
            [new("drawing threads out", threads * sides * SecondsPerThread / 60)],
            [
                $"Count the threads of a centimetre on this very cloth: about {Say.Number(ThreadsPerCm(cloth), 0)} are reckoned with, so "
                    + $"{threads} for a fringe of {Say.Length(fringeMm)}.",
                $"Pull one thread out {Say.Length(fringeMm)} inside each edge: the empty line is where the fringe stops.",
                "Sew along that line with one strand in its own colour, round two threads at a time, so that it frays no further.",
                $"Draw the {threads} threads outside it out, one after the other, on all sides; knot or comb what is left.",
            ]);
    }
}
