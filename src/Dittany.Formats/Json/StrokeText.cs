using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;

namespace Dittany.Formats.Json;

/// <summary>
/// A stroke as text: <c>M x y</c>, then <c>L x y</c> or <c>C x1 y1 x2 y2 x y</c>, and <c>Z</c> where it is closed. Reads back to the same
/// stroke within a ten-thousandth.
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

    /// <summary>The stroke, or null where the text is none.</summary>
    public static Stroke? Read(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var curves = new List<Curve>();
        var i = 0;
        if (words.Length < 6 || words[i++] != "M" || Point() is not { } at)
        {
            return null;
        }

        while (i < words.Length)
        {
            switch (words[i++])
            {
                case "L" when Point() is { } to:
                    curves.Add(Curve.Line(at, to));
                    at = to;
                    break;
                case "C" when Point() is { } one && Point() is { } two && Point() is { } end:
                    curves.Add(new Curve(at, one, two, end));
                    at = end;
                    break;
                case "Z" when i == words.Length && curves.Count > 0:
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

        Pt? Point()
        {
            if (i + 1 < words.Length && Number(words[i], out var x) && Number(words[i + 1], out var y))
            {
                i += 2;
                return new Pt(x, y);
            }

            return null;
        }

        static bool Number(string word, out double n) => double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out n)
            && double.IsFinite(n) && Math.Abs(n) <= MostAway;
    }
}
