using SkiaSharp;

namespace Dittany.Formats.Sheets;

/// <summary>The two faces of the sheets, and how wide words are in them.</summary>
public static class Typesetting
{
    private static readonly Lazy<SKTypeface> ReadingFace = new(() => Face("reading.ttf"));
    private static readonly Lazy<SKTypeface> HeadingFace = new(() => Face("heading.ttf"));

    /// <summary>A font in mm. Sizes are so small that whole-pixel advances would close the spaces between words.</summary>
    internal static SKFont Font(bool heading, double sizeMm) =>
        new((heading ? HeadingFace : ReadingFace).Value, (float)sizeMm)
        {
            Subpixel = true,
            LinearMetrics = true,
            Hinting = SKFontHinting.None
        };

    /// <summary>Width of words on one line, mm.</summary>
    public static double WidthMm(string text, double sizeMm, bool heading = false)
    {
        using var font = Font(heading, sizeMm);
        return font.MeasureText(text);
    }

    /// <summary>
    /// Words broken into lines no wider than <paramref name="widthMm"/>; a word wider than that is broken within. Forced breaks stay.
    /// Nothing is left out.
    /// </summary>
    public static IReadOnlyList<string> Wrap(string text, double sizeMm, double widthMm, bool heading = false)
    {
        using var font = Font(heading, sizeMm);
        var lines = new List<string>();
        foreach (var paragraph in text.ReplaceLineEndings("\n").Split('\n'))
        {
            var line = string.Empty;
            foreach (var word in paragraph.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            {
                var longer = line.Length == 0 ? word : $"{line} {word}";
                if (font.MeasureText(longer) <= widthMm)
                {
                    line = longer;
                    continue;
                }

                if (line.Length > 0)
                {
                    lines.Add(line);
                }

                line = word;
                while (line.Length > 1 && font.MeasureText(line) > widthMm)
                {
                    var fits = Enumerable.Range(1, line.Length - 1).Reverse().First(n => n == 1 || font.MeasureText(line[..n]) <= widthMm);
                    lines.Add(line[..fits]);
                    line = line[fits..];
                }
            }

            lines.Add(line);
        }

        return lines;
    }

    /// <summary>As much of a title as goes into a width.</summary>
    public static string Short(string text, double sizeMm, double widthMm, bool heading = false)
    {
        while (text.Length > 2 && WidthMm(text, sizeMm, heading) > widthMm)
        {
            text = text[..^2].TrimEnd() + "…";
        }

        return text;
    }

    private static SKTypeface Face(string name)
    {
        using var stream = typeof(Typesetting).Assembly.GetManifestResourceStream($"Dittany.Formats.Fonts.{name}")
            ?? throw new InvalidOperationException($"The font {name} is not in the program.");
        return SKTypeface.FromStream(stream);
    }
}
