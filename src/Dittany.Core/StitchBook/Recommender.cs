using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;

namespace Dittany.Core.StitchBook;

/// <summary>Which stitches suit capitals of a height, best first, and why.</summary>
public sealed record Preference(double FromMm, double ToMm, IReadOnlyList<string> Stitches, Told Because, string Source);

/// <summary>Which stitch and how many strands for lettering of a height.</summary>
public static class Recommender
{
    /// <summary>At most this many pairs are tried.</summary>
    public const int MostPairs = 12;

    public static IReadOnlyList<Preference> Woven { get; } =
    [
        new(0, 9.999, ["backstitch"], $"Under {Say.Length(10)} backstitch keeps letters crisp and open.", "from memory"),
        new(10, 16, ["backstitch", "split", "stem"],
            $"Between {Say.Span(10, " and ", 16)} backstitch is clear; split or stem would be softer.", "from memory"),
        new(16.001, 25, ["whipped-backstitch", "chain"],
            $"Between {Say.Span(16, " and ", 25)} a whipped line carries and hides its joints.", "from memory"),
        new(25.001, double.PositiveInfinity, ["chain"], $"Over {Say.Length(25)} a chain is bold enough for the height.", "from memory"),
    ];

    public static IReadOnlyList<Preference> Knit { get; } =
    [
        new(0, 6.999, ["backstitch"], $"Under {Say.Length(7)} only backstitch stays open, worked slack on a knit.", "from memory"),
        new(7, 16, ["split", "stem", "backstitch"], "On a knit split stitch gives with the cloth where backstitch would pucker.",
            "common practice"),
        new(16.001, double.PositiveInfinity, ["chain", "split"],
            $"On a knit chain gives most, and over {Say.Length(16)} there is room for it.", "common practice"),
    ];

    public static IReadOnlyList<Preference> OnPile { get; } =
    [
        new(0, 9.999, ["backstitch"], "Small letters want the narrowest line, on film, so as not to sink.", "from memory"),
        new(10, 19.999, ["stem", "backstitch"], "A raised stem line stands above the pile.", "from memory"),
        new(20, double.PositiveInfinity, ["chain", "whipped-backstitch"], "A broad chain lies on the pile instead of in it.",
            "from memory"),
    ];

    /// <summary>The table that holds for these facts.</summary>
    public static IReadOnlyList<Preference> TableFor(StitchFacts facts) => facts.Knit ? Knit : facts.Pile ? OnPile : Woven;

    /// <summary>
    /// The pairs to try, best first, never more than a dozen: a stated stitch or strands alone; else the stitch of the workshop's school,
    /// then the table from large letters to small ones.
    /// </summary>
    public static IReadOnlyList<Pair> InOrder(IStitch? stitch, int? strands, StitchFacts facts)
    {
        int[] Strands(IEnumerable<int> bundles) => strands is { } only ? [only] : bundles.ToArray();
        Pair Of(IStitch stitch, int strands) => new(stitch, new ThreadSize(facts.Thread, strands));
        if (stitch is not null)
        {
            return Strands(Bundles(stitch, facts).Reverse()).Select(n => Of(stitch, n)).ToArray();
        }

        if (facts.Laid)
        {
            return Strands(Bundles(Book.Laid, facts).Reverse()).Select(n => Of(Book.Laid, n)).ToArray();
        }

        bool Sews(IStitch s) => ThreadRules.Against(facts.Thread, s) is null;
        var school = Book.Find(facts.LetterSchool);
        var first = school is null || !Sews(school) ? [] : Strands(Bundles(school, facts).Reverse()).Select(n => Of(school, n));
        var table = TableFor(facts).Reverse().SelectMany(row =>
            row.Stitches.Select(id => Book.Find(id).Sure()).Where(Sews).SelectMany(s => Strands(Within(s, row, facts)), Of));
        var last = Strands(Bundles(Book.Plainest, facts).Reverse()).Select(n => Of(Book.Plainest, n));
        return first.Concat(table).Concat(last).Distinct().Take(MostPairs).ToArray();
    }

    /// <summary>
    /// Which number of the thread up to which height of capitals: strands by the stitch's table, any other thread as it is worked.
    /// </summary>
    public static IReadOnlyList<(double UpToMm, int Strands)> Rows(IStitch stitch, StitchFacts facts) => facts.Thread.Parts
        ? stitch.StrandsUpTo(facts) : [(double.PositiveInfinity, facts.Thread.Usual)];

    /// <summary>The bundles a stitch is written with within the heights of a row, thickest first.</summary>
    private static IEnumerable<int> Within(IStitch stitch, Preference row, StitchFacts facts)
    {
        var from = 0.0;
        var found = new List<int>();
        foreach (var (upTo, strands) in Rows(stitch, facts))
        {
            if (from < row.ToMm && upTo >= row.FromMm)
            {
                found.Insert(0, strands);
            }

            from = upTo;
        }

        return found.Distinct();
    }

    /// <summary>Whether a pair is what the tables would take for capitals of this height; what was stated always suits.</summary>
    public static bool Suits(Pair pair, double capMm, IStitch? stitch, int? strands, StitchFacts facts)
    {
        var hers = stitch is not null || facts.Laid || pair.Stitch.Id == facts.LetterSchool;
        var preferred = hers || TableFor(facts).Any(p => capMm >= p.FromMm && capMm <= p.ToMm
            && p.Stitches.Contains(pair.Stitch.Id, StringComparer.Ordinal));
        return preferred && (strands is not null || StrandsFor(pair.Stitch, capMm, facts) == pair.Strands);
    }

    /// <summary>The least height at which a pair may suit: below it there is no need to try.</summary>
    public static double SuitsFromMm(Pair pair, StitchFacts facts)
    {
        var hers = facts.Laid || pair.Stitch.Id == facts.LetterSchool;
        var from = hers ? 0 : TableFor(facts).Where(p => p.Stitches.Contains(pair.Stitch.Id, StringComparer.Ordinal)).Select(p =>
            p.FromMm).DefaultIfEmpty(0).Min();
        var rows = Rows(pair.Stitch, facts);
        var index = rows.ToList().FindIndex(r => r.Strands == pair.Strands);
        return index <= 0 ? from : Math.Max(from, rows[index - 1].UpToMm);
    }

    /// <summary>
    /// From capitals of this height on a single strand is a hairline: larger letters, another hand or fewer words are better (from memory).
    /// </summary>
    public const double SingleBelowMm = 18;

    /// <summary>Whether a pair is too thin for capitals of a height ever to be taken where she did not ask for it.</summary>
    public static bool Thin(Pair pair, double capMm) => pair.Size is { ByStrands: true, Ply: 1 } && capMm >= SingleBelowMm;

    /// <summary>The bundle for a stitch at a height, by the workshop's schools.</summary>
    public static int StrandsFor(IStitch stitch, double capMm, StitchFacts facts) =>
        Rows(stitch, facts).First(r => capMm <= r.UpToMm).Strands;

    /// <summary>
    /// Why this stitch, in words. <paramref name="against"/> tells what speaks against another stitch at this height, or null: so that it
    /// can be said why one that would come first was not taken; null where the tables have nothing to say.
    /// </summary>
    public static Told? BecauseStitch(Pair pair, double capMm, StitchFacts facts, Func<IStitch, Told?> against)
    {
        if (facts.Laid && pair.Stitch == Book.Laid)
        {
            return BecauseLaid(pair.Stitch, facts);
        }

        if (pair.Stitch.Id == facts.LetterSchool)
        {
            return $"By your habit you write in {pair.Stitch.Name}.";
        }

        var row = TableFor(facts).FirstOrDefault(p => capMm >= p.FromMm && capMm <= p.ToMm
            && p.Stitches.Contains(pair.Stitch.Id, StringComparer.Ordinal));
        if (row is null)
        {
            return null;
        }

        var first = Book.Find(row.Stitches[0]).Sure();
        return first == pair.Stitch ? row.Because
            : against(first) is { } reason ? (Told)$"{row.Because} But here: {reason} So it is {pair.Stitch.Name}."
            : null;
    }

    /// <summary>Why a thread that is too thick for its cloth is laid on it, or what stitching with it all the same means.</summary>
    public static Told BecauseLaid(IStitch stitch, StitchFacts facts) => stitch == Book.Laid
        ? $"{Say.Upper(facts.Thread.Name)} is too thick to be drawn through this cloth: it is laid along the line and tied down with one "
            + "strand of cotton."
        : $"{Say.Upper(facts.Thread.Name)} is thick for this cloth: drawn through it in {stitch.Name} it opens large holes. Laid along the line and "
            + "tied down it would spare the cloth.";

    /// <summary>Why this many strands, in words.</summary>
    public static Told BecauseStrands(Pair pair, double capMm, StitchFacts facts)
    {
        if (!pair.Size.ByStrands)
        {
            return pair.Size.Kind.Plies.Count == 1 ? $"{Say.Upper(pair.Size.Kind.Name)} is worked as it comes."
                : (Told)$"{Say.Upper(pair.Size.Said)}: {(pair.Strands == pair.Size.Kind.Usual ? "so it is usually worked." : "thinner or thicker than usual, as you wish.")}";
        }

        var rows = Rows(pair.Stitch, facts);
        var index = rows.ToList().FindIndex(r => capMm <= r.UpToMm);
        var (from, to) = (index == 0 ? 0 : rows[index - 1].UpToMm, rows[index].UpToMm);
        if (rows.Count == 1 && rows[0].Strands == pair.Strands)
        {
            return $"{Say.Upper(pair.Stitch.Name)} writes best with {pair.Size.Said}, at whatever height.";
        }

        var span = index == 0 && double.IsPositiveInfinity(to) ? (Told)"at any height" : index == 0 ? (Told)$"up to {Say.Length(Math.Ceiling(to))}" : double.IsPositiveInfinity(to)
            ? (Told)$"over {Say.Length(Math.Ceiling(from))}"
            : (Told)$"between {Say.Length(Math.Ceiling(from))} and {Say.Length(Math.Ceiling(to))}";
        return rows[index].Strands == pair.Strands
            ? (Told)($"Capitals of {Say.Length(capMm)} lie {span}, where {pair.Stitch.Name} writes best with "
                + $"{pair.Size.Said}.")
            : $"{char.ToUpperInvariant(pair.Stitch.Name[0])}{pair.Stitch.Name[1..]} with {pair.Size.Said} writes clean "
                + $"capitals from {Say.Length(pair.Stitch.LeastCapMm(pair.Size))}.";
    }

    private static IEnumerable<int> Bundles(IStitch stitch, StitchFacts facts) =>
        Rows(stitch, facts).Select(r => r.Strands).Distinct();
}
