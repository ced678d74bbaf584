using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Telling;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Pages.Bench;

/// <summary>
/// What the form of a part sends: blanks leave it to the plan. <paramref name="Lies"/> says how its stitches lie: one way (the degrees of
/// <paramref name="Direction"/>), an id of <see cref="Core.Geometry.Direction.Known"/>, or along <paramref name="Lines"/>.
/// </summary>
public sealed record PartWish(string? Element, string? Role, string? Stitch, int? Strands, string? Colour, string? Colour2, string? Colour3,
    int? Copy, string? Lies, double? Direction, string? Lines, string? Thread = null)
{
    public const string OneWay = "one-way";

    public const string AlongLines = "lines";

    public PartAsked Asked()
    {
        static string? Given(string? value) => string.IsNullOrWhiteSpace(value) ? null : value.Trim();
        var further = new[] { Given(Colour2), Given(Colour3) }.OfType<string>().ToArray();
        return new PartAsked(Role ?? string.Empty, Copy, Given(Stitch), Strands, Given(Colour), Lies == OneWay ? Direction : null)
        {
            Colours = further.Length > 0 && Given(Colour) is { } first ? [first, .. further] : [],
            Direction = Lies is OneWay or AlongLines ? null : Given(Lies),
            Thread = Given(Thread),
        };
    }

    /// <summary>The lines as they are typed, mm on the item: a row each, its places parted by semicolons, across before down.</summary>
    public static string Write(IReadOnlyList<IReadOnlyList<Pt>> linesMm) => string.Join('\n', linesMm.Select(l => string.Join("; ",
        l.Select(p => $"{Svg.N(Math.Round(p.X, 1))} {Svg.N(Math.Round(p.Y, 1))}"))));

    /// <summary>Typed lines; null and what is wrong where they cannot be read.</summary>
    public static IReadOnlyList<IReadOnlyList<Pt>>? Read(string? typed, out ValidationError? fault)
    {
        fault = null;
        var lines = new List<IReadOnlyList<Pt>>();
        foreach (var row in (typed ?? string.Empty).ReplaceLineEndings("\n").Split('\n', StringSplitOptions.RemoveEmptyEntries
            | StringSplitOptions.TrimEntries))
        {
            var places = new List<Pt>();
            foreach (var place in row.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
            {
                var numbers = place.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(n => double.TryParse(n.Replace(',', '.'),
                    NumberStyles.Float, CultureInfo.InvariantCulture, out var mm) && double.IsFinite(mm) ? mm : (double?)null).ToArray();
                if (numbers is not [{ } x, { } y])
                {
                    fault = new ValidationError("#/parts/directionLines", $"“{place}” is no place on a line.",
                        "Write how far across and how far down in mm, as 12.5 40, with a semicolon between places.");
                    return null;
                }

                places.Add(new Pt(x, y));
            }

            if (places.Count < 2)
            {
                fault = new ValidationError("#/parts/directionLines", $"“{row}” is one place, and a line has two or more.",
                    "Write them in one row with a semicolon between, as 12.5 40; 30 44.");
                return null;
            }

            lines.Add(places);
        }

        return lines;
    }
}

/// <summary>Which letters of which element a form means: the element, then their places in the text.</summary>
public static class LetterWish
{
    public static string Write(LetterTold letter) =>
        $"{letter.Element}/{string.Join('-', letter.Indices.Select(i => i.ToString(CultureInfo.InvariantCulture)))}";

    public static (string Element, IReadOnlyList<int> Indices) Read(string? value)
    {
        var at = value?.LastIndexOf('/') ?? -1;
        return at < 0 ? (string.Empty, []) : (value![..at], value[(at + 1)..].Split('-').Select(n =>
            int.TryParse(n, NumberStyles.None, CultureInfo.InvariantCulture, out var i) ? i : -1).Where(i => i >= 0).ToArray());
    }
}
