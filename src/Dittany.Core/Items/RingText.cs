using System.Globalization;
using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>
/// A ring written by hand: a point a line, two numbers in mm divided by a comma or a blank; or one line of four for a rectangle, left, top,
/// width, height. What is written is what is read back.
/// </summary>
public static class RingText
{
    private static readonly char[] Between = [',', ';', ' ', '\t'];

    /// <summary>The points, or what is wrong in which line.</summary>
    public static (IReadOnlyList<Pt> Points, string? Fault) Read(string? text)
    {
        var points = new List<Pt>();
        var lines = (text ?? string.Empty).ReplaceLineEndings("\n").Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0).ToArray();
        for (var i = 0; i < lines.Length; i++)
        {
            var numbers = new List<double>();
            foreach (var word in lines[i].Split(Between, StringSplitOptions.RemoveEmptyEntries))
            {
                if (!double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) || !double.IsFinite(n))
                {
                    return ([], $"Line {(i + 1).ToString(CultureInfo.InvariantCulture)}: “{(word.Length > 20 ? word[..20] : word)}” is no "
                        + $"number. Write two numbers in mm, such as 120, 40.");
                }

                numbers.Add(n);
            }

            if (numbers.Count == 4 && lines.Length == 1)
            {
                return (Shapes.Rectangle(numbers[0], numbers[1], numbers[2], numbers[3]), numbers[2] > 0 && numbers[3] > 0 ? null
                    : "A rectangle wants a width and a height above 0.");
            }

            if (numbers.Count != 2)
            {
                return ([], $"Line {(i + 1).ToString(CultureInfo.InvariantCulture)}: a point is two numbers, and there "
                    + $"{(numbers.Count == 1 ? "is 1" : $"are {numbers.Count.ToString(CultureInfo.InvariantCulture)}")}. For a rectangle "
                    + $"write one line: left, top, width, height.");
            }

            points.Add(new Pt(numbers[0], numbers[1]));
        }

        return (points, null);
    }

    /// <summary>The ring as it is read back, to a tenth of a millimetre.</summary>
    public static string Write(IReadOnlyList<Pt> ring) =>
        string.Join('\n', ring.Select(p => string.Create(CultureInfo.InvariantCulture,
            $"{Math.Round(p.X, 1):0.#}, {Math.Round(p.Y, 1):0.#}")));
}
