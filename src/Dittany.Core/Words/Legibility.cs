using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Words;

/// <summary>
/// A fault of legibility before remedies are found for it: the least capital height at which it is gone with this pair. It is put into
/// words where they are asked for: most faults are only counted.
/// </summary>
public sealed record Fault(string What, string? Letter, double ByMm, double CuredAtMm, Func<Told> Telling)
{
    public Told Text => field ??= Telling();
}

/// <summary>
/// How one letter reads: the least opening left in it once it is stitched (null where it has nothing to shut), and what must stay open, mm.
/// </summary>
public sealed record LetterReading(string Letter, double? OpenMm, double WantedMm)
{
    public bool Reads => OpenMm is not { } open || open >= WantedMm - Legibility.HairMm;
}

/// <summary>Will it read? Judged from the stitched width of the line, letter by letter, in closed form from scale-free measures.</summary>
public static class Legibility
{
    /// <summary>Least opening of a counter or gap, in mm and in line widths (from memory).</summary>
    public const double LeastOpeningMm = 0.6;

    public const double LeastOpeningWidths = 0.8;

    /// <summary>On knit and waffle, and on pile, in mm (from memory).</summary>
    public const double LeastOpeningKnitMm = 1.0;

    public const double LeastOpeningPileMm = 1.5;

    /// <summary>
    /// What an opening may lack, mm: a hand sets letters no truer, and gives as much of itself (from memory). No bolder stitch is taken for
    /// it.
    /// </summary>
    public const double HairMm = 0.05;

    /// <summary>Lightness difference from which words read, and under which they vanish (from memory).</summary>
    public const double ReadsFromL = 30;

    public const double VanishesBelowL = 15;

    /// <summary>The opening that must stay in mm, for a line of this width on this cloth.</summary>
    public static double LeastOpening(double lineWidthMm, Cloth cloth)
    {
        var least = Math.Max(LeastOpeningMm, LeastOpeningWidths * lineWidthMm);
        if (cloth.Kind.Knit || string.Equals(cloth.Kind.Id, "waffle", StringComparison.Ordinal))
        {
            least = Math.Max(least, LeastOpeningKnitMm);
        }

        return cloth.StaysOpen * (cloth.Pile == Pile.None ? least : Math.Max(least, LeastOpeningPileMm));
    }

    /// <summary>
    /// All faults of form (not of colour) at this height, in the order the letters are read; each letter is told of once.
    /// </summary>
    public static IReadOnlyList<Fault> Faults(Setting setting, IAlphabet alphabet, Pair pair, Cloth cloth, double capMm)
    {
        var faults = new List<Fault>();
        // Line to height judges single-line writing only; outlined letters are judged by counters and gaps.
        var least = pair.Stitch.LeastCapMm(pair.Size) * (setting.CapitalsOnly ? Book.CapitalsAlone : 1);
        if (alphabet.Kind != AlphabetKind.Weighted && capMm < least - 1e-9)
        {
            faults.Add(new Fault(
                "too-heavy",
                null,
                least - capMm,
                least,
                () => $"A line of {Say.Length(pair.LineWidthMm)} is heavy for capitals of {Say.Length(capMm)}: {pair.Stitch.Name} with "
                    + $"{Strands(pair.Size)} wants at least {Say.Length(least)}."));
        }

        var opening = LeastOpening(pair.LineWidthMm, cloth);
        foreach (var letter in setting.Different)
        {
            var measures = alphabet.Measure(letter.Glyph);
            if (double.IsFinite(measures.Narrowest))
            {
                var narrowest = measures.Narrowest / Alphabets.CapUnits;
                var open = (narrowest * capMm) - pair.LineWidthMm;
                if (open < opening - HairMm)
                {
                    faults.Add(Closed(letter.Letter, narrowest, open, opening, pair));
                }
            }
        }

        if (setting.Ornaments.Count > 0 && FigureMeasures.Of(setting.Ornaments) is { } drawn && double.IsFinite(drawn.Narrowest)
            && (drawn.Narrowest * capMm) - pair.LineWidthMm < opening - HairMm)
        {
            var open = (drawn.Narrowest * capMm) - pair.LineWidthMm;
            faults.Add(new Fault(
                "closes-up", null, opening - open, (opening - HairMm + pair.LineWidthMm) / drawn.Narrowest,
                    () => $"The drawing beside the words closes up: {Open(open)} where {Say.Length(opening)} must stay open."));
        }

        for (var i = 1; i < setting.Letters.Count; i++)
        {
            var letter = setting.Letters[i];
            if (!double.IsFinite(letter.GapBefore))
            {
                continue;
            }

            var apart = (letter.GapBefore * capMm) - pair.LineWidthMm;
            if (apart < opening - HairMm && !IsTold(faults, letter.Letter))
            {
                faults.Add(Touching(letter, setting.Letters[i - 1].Letter, apart, opening, pair));
            }
        }

        return faults;
    }

    private static bool IsTold(List<Fault> faults, string letter)
    {
        foreach (var fault in faults)
        {
            if (fault.What == "touches" && fault.Letter == letter)
            {
                return true;
            }
        }

        return false;
    }

    private static Fault Closed(string letter, double narrowest, double open, double opening, Pair pair) => new("closes-up", letter,
        opening - open, (opening - HairMm + pair.LineWidthMm) / narrowest,
        () => $"The {letter} closes up: {Open(open)} where {Say.Length(opening)} must stay open.");

    private static Fault Touching(SetLetter letter, string before, double apart, double opening, Pair pair) => new("touches", letter.Letter,
        opening - apart, (opening - HairMm + pair.LineWidthMm) / letter.GapBefore,
        () => $"The {letter.Letter} comes too near the {before} before it: {Open(apart)} between the threads where {Say.Length(opening)} is wanted.");

    /// <summary>How each different letter reads, in the order they are first read: what stays open in it, and what must.</summary>
    public static IReadOnlyList<LetterReading> Letters(Setting setting, IAlphabet alphabet, Pair pair, Cloth cloth, double capMm)
    {
        var wanted = LeastOpening(pair.LineWidthMm, cloth);
        return setting.Different.Select(l =>
        {
            var narrowest = alphabet.Measure(l.Glyph).Narrowest / Alphabets.CapUnits * capMm;
            double? open = double.IsFinite(narrowest) ? Math.Max(0, narrowest - pair.LineWidthMm) : null;
            return new LetterReading(l.Letter, open, wanted);
        }).ToArray();
    }

    /// <summary>
    /// How far the eye spreads a point on the cloth at a distance: the width of one minute of arc, which is what a normal eye tells apart
    /// (ISO 8596, decimal acuity 1.0), in mm. From a metre 0.29.
    /// </summary>
    public static double SpreadMm(double distanceMm) => distanceMm * Math.Tan(Math.PI / (180 * 60));

    /// <summary>
    /// Our thread colours that read on a cloth, in the order they are offered, and the one that is taken: the first of them, or what
    /// differs most where none reads.
    /// </summary>
    public static (ThreadColour Own, IReadOnlyList<ThreadColour> Reading) Colours(Cloth cloth)
    {
        double Apart(ThreadColour c) => ColourDifference.Lightness(Colour.Parse(c.Hex), cloth);
        var reading = Palette.Colours.Where(c => Apart(c) >= ReadsFromL).ToArray();
        return (reading.Length > 0 ? reading[0] : Palette.Colours.OrderByDescending(Apart)
            .ThenByDescending(c => ColourDifference.Lightness(Colour.Parse(c.Hex), cloth.Colour)).First(), reading);
    }

    /// <summary>Whether a thread of this colour shows on the cloth; null when it reads well. Tone on tone reads, and is no fault.</summary>
    public static Concern? Showing(Colour thread, Cloth cloth, string called = "The thread")
    {
        var lightness = ColourDifference.Lightness(thread, cloth);
        if (lightness >= VanishesBelowL)
        {
            return null;
        }

        return new Concern(
            "does-not-show",
            null,
            null,
            cloth.Print is null ? $"{called} is {Against(thread, cloth)}: from a step away what is stitched vanishes."
                : $"{called} is {Against(thread, cloth)}: there it is lost. Where no thread stands out from all of it, set it on a plain patch.",
            Colours(cloth).Reading
                .Take(3)
                .Select(c => new Remedy(Colour: c.Hex, ColourName: c.Name))
                .ToArray());
    }

    private static Told Open(double openMm) => openMm <= 0 ? "it is shut" : (Told)$"{Say.Length(openMm)} is left";

    /// <summary>From this much of lightness on a thread is called far lighter or darker (from memory).</summary>
    private const double FarL = 45;

    /// <summary>
    /// How a thread stands against the cloth, as the eye says it: far darker than the cloth, a little lighter than the cloth, as light as
    /// the cloth.
    /// </summary>
    internal static string Against(Colour thread, Cloth cloth)
    {
        var (own, under) = (thread.ToLab().L, cloth.Colour.ToLab().L);
        if (cloth.Print is { } print && print.Apart(own) <= 0)
        {
            return "as light as parts of your print";
        }

        var by = cloth.Print?.Apart(own) ?? Math.Abs(own - under);
        var how = by >= FarL ? "far " : by >= ReadsFromL ? string.Empty : by >= VanishesBelowL ? "a little " : "hardly ";
        return $"{how}{(own > under ? "lighter" : "darker")} than {(cloth.Print is null ? "the cloth" : "all of your print")}";
    }

    /// <summary>So many strands and what they do: a single strand lies, three strands lie.</summary>
    internal static string Lie(ThreadSize size) => size.Ply > 1 && size.ByStrands ? $"{size.Said} lie" : $"{Strands(size)} lies";

    internal static string Are(ThreadSize size) => size.Ply > 1 && size.ByStrands ? $"{size.Said} are" : $"{Strands(size)} is";

    internal static string Strands(ThreadSize size) => size.ByStrands && size.Ply == 1 ? $"a single {size.Said[2..]}" : size.Said;
}
