using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Formats.Drawings;
using SkiaSharp;

namespace Dittany.Formats.Json;

/// <summary>
/// Strokes as text. Written as <c>M x y</c>, then <c>L x y</c> or <c>C x1 y1 x2 y2 x y</c>, and <c>Z</c> where one is closed, which reads
/// back to the same stroke within a ten-thousandth. Read is all of SVG's path data (SVG 2, 9.3), with several contours.
/// </summary>
internal static class StrokeText
{
    private const double MostAway = 1e6;

    public static string Write(Stroke stroke)
    {
        var text = new StringBuilder();
        void Add(Pt p) => text.Append(CultureInfo.InvariantCulture, $" {Math.Round(p.X, 4)} {Math.Round(p.Y, 4)}");
        text.Append('M');
        Add(stroke.Start);
        foreach (var c in stroke.Curves)
        {
            text.Append(c.IsStraight ? " L" : " C");
            if (!c.IsStraight)
            {
                Add(c.P1);
                Add(c.P2);
            }

            Add(c.P3);
        }

        return stroke.Closed ? text.Append(" Z").ToString() : text.ToString();
    }

    /// <summary>
    /// The strokes in their order, none where the text is no path or leads out of all measure. What we write ourselves is read to the last
    /// digit; everything else by the picture library, to seven digits.
    /// </summary>
    public static IReadOnlyList<Stroke> Read(string text)
    {
        if (Own(text) is { } own)
        {
            return own;
        }

        using var path = SKPath.ParseSvgPathData(text);
        var read = path is null ? [] : PathStrokes.Of(path, close: false);
        return read.SelectMany(s => s.Curves).SelectMany(c => new[] { c.P0, c.P1, c.P2, c.P3 }).All(Measured) ? read : [];
    }

    private static bool Measured(Pt p) => double.IsFinite(p.X) && double.IsFinite(p.Y) && Math.Abs(p.X) <= MostAway
        && Math.Abs(p.Y) <= MostAway;

    /// <summary>Strokes in the way we write them; null for any other text.</summary>
    private static List<Stroke>? Own(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var strokes = new List<Stroke>();
        for (var i = 0; i < words.Length;)
        {
            if (One(words, ref i) is not { } stroke)
            {
                return null;
            }

            strokes.Add(stroke);
        }

        return strokes.Count == 0 ? null : strokes;
    }

    private static Stroke? One(string[] words, ref int i)
    {
        var curves = new List<Curve>();
        if (words[i++] != "M" || Point(words, ref i) is not { } at)
        {
            return null;
        }

        while (i < words.Length && words[i] != "M")
        {
            switch (words[i++])
            {
                case "L" when Point(words, ref i) is { } to:
                    curves.Add(Curve.Line(at, to));
                    at = to;
                    break;
                case "C" when Point(words, ref i) is { } one && Point(words, ref i) is { } two && Point(words, ref i) is { } end:
                    curves.Add(new Curve(at, one, two, end));
                    at = end;
                    break;
                case "Z" when curves.Count > 0 && (i == words.Length || words[i] == "M"):
                    if (at.To(curves[0].P0) > 1e-9)
                    {
                        curves.Add(Curve.Line(at, curves[0].P0));
                    }

                    return new Stroke(curves, true);
                default:
                    return null;
            }
        }

        return curves.Count == 0 ? null : new Stroke(curves, false);
    }

    private static Pt? Point(string[] words, ref int i)
    {
        if (i + 1 < words.Length && Number(words[i], out var x) && Number(words[i + 1], out var y))
        {
            i += 2;
            return new Pt(x, y);
        }

        return null;
    }

    private static bool Number(string word, out double n) => double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out n)
        && double.IsFinite(n) && Math.Abs(n) <= MostAway;
}
