using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Motifs;

/// <summary>A point of a traced line, in mm on the picture; at a corner the line breaks, everywhere else it runs on smoothly.</summary>
public readonly record struct TracedPoint(Pt At, bool Corner = false);

/// <summary>
/// One line traced over a picture: what it is, whether it comes back to its beginning, and its points. A single point is a knot.
/// </summary>
public sealed record TracedLine(string Role, bool Closed, IReadOnlyList<TracedPoint> Points);

/// <summary>
/// A drawing traced by hand over a photograph or sketch that lies behind it. The picture is this wide in mm; it is known by its hash.
/// Points are in mm from the picture's top left corner, so the drawing has the size it has there.
/// </summary>
public sealed record Tracing(string Name, string PictureId, double PictureWidthMm, double PictureHeightMm, IReadOnlyList<TracedLine> Lines)
{
    public const int MostLines = 120;

    public const int MostPoints = 400;

    /// <summary>What a line may be.</summary>
    public static IReadOnlyList<(string Id, string Name)> Roles { get; } =
        [("outline", "an outline"), ("stem", "a stem"), ("leaf", "a leaf"), ("vein", "a vein"), ("petal", "a petal"),
            ("centre", "a centre"), ("dot", "a knot")];

    /// <summary>Lines that are drawn: those with a point at least.</summary>
    public Figure Draw() => new(Lines.Where(l => l.Points.Count > 0).Select(Part).ToArray());

    /// <summary>The tracing on a picture taken to be this wide: everything grows with it.</summary>
    public Tracing Widened(double widthMm)
    {
        var by = widthMm / PictureWidthMm;
        return this with
        {
            PictureWidthMm = widthMm,
            PictureHeightMm = PictureHeightMm * by,
            Lines = Lines.Select(l => l with { Points = l.Points.Select(p => p with { At = p.At * by }).ToArray() }).ToArray(),
        };
    }

    /// <summary>
    /// A line drawn in one go over the picture, with so many points as it needs and no more: left out is what stands less than
    /// <see cref="ThinShare"/> of the picture from the line without it (Douglas and Peucker 1973). What leaves the picture is held at its
    /// edge. Where it turns sharply it breaks; where it comes back to its beginning it is closed.
    /// </summary>
    public TracedLine Drawn(string role, IReadOnlyList<Pt> drawn)
    {
        var held = drawn.Select(p => new Pt(Math.Clamp(p.X, 0, PictureWidthMm), Math.Clamp(p.Y, 0, PictureHeightMm))).ToArray();
        var thin = Polyline.Simplified(held, ThinShare * PictureWidthMm);
        var home = thin.Count > 3 && thin[0].To(thin[^1]) < Math.Min(HomeShare * PictureWidthMm, HomeOfLength * Polyline.Length(thin));
        var points = home ? thin.SkipLast(1).ToArray() : thin.ToArray();
        var n = points.Length;
        bool Breaks(int i) => (home || (i > 0 && i < n - 1)) && n > 2
            && Pt.TurnRadians(points[i] - points[(i + n - 1) % n], points[(i + 1) % n] - points[i]) > BreaksAt;
        return new TracedLine(role, home, points.Select((p, i) =>
            new TracedPoint(new Pt(Math.Round(p.X, 2), Math.Round(p.Y, 2)), Breaks(i))).Take(MostPoints).ToArray());
    }

    private const double ThinShare = 0.003;

    /// <summary>
    /// A line ends at its beginning where it comes this near it, as shares of the picture and of the line (from memory: what a mouse hits).
    /// </summary>
    private const double HomeShare = 0.03;

    private const double HomeOfLength = 0.12;

    /// <summary>A turn of more than this at one point is meant as a corner (from memory), radians.</summary>
    private const double BreaksAt = 1.3;

    /// <summary>Points nearer than this to the one before stand for one, mm.</summary>
    private const double OnePointMm = 0.05;

    private static FigurePart Part(TracedLine line)
    {
        var points = line.Points.Where((p, i) => i == 0 || p.At.To(line.Points[i - 1].At) >= OnePointMm).ToArray();
        if (points.Length == 1 || line.Role == "dot")
        {
            return FigurePart.Dot(line.Role, points[0].At);
        }

        var closed = line.Closed && points.Length > 2;
        var corners = Enumerable.Range(0, points.Length).Where(i => points[i].Corner).ToHashSet();
        return new FigurePart(line.Role, closed ? FigureKind.Shape : FigureKind.Line,
            SmoothLine.Through(points.Select(p => p.At).ToArray(), closed, corners));
    }

    /// <summary>What is wrong with it: member, what is wrong, what would do. Empty where it can be kept.</summary>
    public IReadOnlyList<FormFault> Faults()
    {
        var faults = new List<FormFault>();
        if (Name.Length is 0 or > 60 || Name.Any(char.IsControl))
        {
            faults.Add(new FormFault("name", Name.Length == 0 ? "The drawing has no name."
                : "The name is longer than 60 letters, or has signs in it that cannot be printed.", "Write a short name, such as wren."));
        }

        if (!(PictureWidthMm is >= LeastPictureMm and <= MostPictureMm))
        {
            faults.Add(new FormFault("width", double.IsFinite(PictureWidthMm)
                ? $"A picture of {Say.Number(PictureWidthMm)} mm is no sheet of paper and no item."
                : "How wide the picture is is no number.",
                $"Write how wide what the picture shows is: {LeastPictureMm} to {MostPictureMm} mm."));
        }

        if (Lines.Count > MostLines)
        {
            faults.Add(new FormFault("lines", $"{Lines.Count} lines are more than a drawing takes.", $"Take out all but {MostLines}."));
        }

        for (var i = 0; i < Lines.Count; i++)
        {
            if (Roles.All(r => r.Id != Lines[i].Role))
            {
                faults.Add(new FormFault($"lines/{i}", $"Line {i + 1} is said to be “{Lines[i].Role}”, which no part of a drawing is.",
                    $"Choose {Say.List(Roles.Select(r => r.Name).ToArray())}."));
            }

            if (Lines[i].Points.Where(p => !(p.At.X >= 0 && p.At.X <= PictureWidthMm + OnePointMm && p.At.Y >= 0
                && p.At.Y <= PictureHeightMm + OnePointMm)).Select(p => (Pt?)p.At).FirstOrDefault() is { } away)
            {
                faults.Add(new FormFault($"lines/{i}", $"Line {i + 1} leaves the picture at {Say.Number(away.X)}, {Say.Number(away.Y)}.",
                    $"The picture goes to {Say.Number(PictureWidthMm)}, {Say.Number(PictureHeightMm)}."));
            }
        }

        return faults;
    }

    private const double LeastPictureMm = 10;

    private const double MostPictureMm = 3000;
}

/// <summary>
/// Points of a traced line as they are written and typed: one a line, right and down in mm, a corner with the word behind it. What is
/// written reads back the same.
/// </summary>
public static class TracedText
{
    /// <summary>The word behind a point at which the line breaks.</summary>
    public const string CornerWord = "corner";

    private static readonly char[] Between = [',', ';', ' ', '\t'];

    public static string Write(IReadOnlyList<TracedPoint> points) =>
        string.Join('\n', points.Select(p => string.Create(CultureInfo.InvariantCulture,
            $"{Math.Round(p.At.X, 2):0.##}, {Math.Round(p.At.Y, 2):0.##}{(p.Corner ? $" {CornerWord}" : string.Empty)}")));

    /// <summary>The points, or what is wrong in which line.</summary>
    public static (IReadOnlyList<TracedPoint> Points, string? Fault) Read(string? text)
    {
        var points = new List<TracedPoint>();
        var lines = (text ?? string.Empty).ReplaceLineEndings("\n").Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0).ToArray();
        for (var i = 0; i < lines.Length; i++)
        {
            var words = lines[i].Split(Between, StringSplitOptions.RemoveEmptyEntries);
            if (words.Length is < 2 or > 3 || !Number(words[0], out var x) || !Number(words[1], out var y)
                || (words.Length == 3 && words[2] != CornerWord))
            {
                var shown = new StringBuilder(lines[i].Length > 30 ? lines[i][..30] : lines[i]);
                return ([], $"Line {(i + 1).ToString(CultureInfo.InvariantCulture)}: “{shown}” is no point. Write two numbers in mm, such "
                    + $"as 120, 40, and “{CornerWord}” behind them where the line breaks.");
            }

            points.Add(new TracedPoint(new Pt(x, y), words.Length == 3));
        }

        return points.Count > Tracing.MostPoints
            ? ([], $"{points.Count.ToString(CultureInfo.InvariantCulture)} points are more than a line needs: "
                + $"{Tracing.MostPoints.ToString(CultureInfo.InvariantCulture)} are the most.")
            : (points, null);

        static bool Number(string word, out double n) => double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out n)
            && double.IsFinite(n) && Math.Abs(n) < 1e5;
    }
}
