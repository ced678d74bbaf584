using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Telling;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>One way to make her very words: a stitch with so many strands.</summary>
public sealed record TryMake(IStitch Stitch, int Strands)
{
    /// <summary>What an address calls it.</summary>
    public string Id => string.Create(CultureInfo.InvariantCulture, $"{Stitch.Id}-{Strands}");

    public string Name => $"{Say.Upper(Stitch.Name)}, {Say.Count(Strands, "strand")}";
}

/// <summary>
/// A way tried out: how it comes out, hands-on minutes of the whole piece, thread in mm, and what closes up or does not read.
/// </summary>
public sealed record Tried(TryMake Make, Plan Plan, double Minutes, double ThreadMm, IReadOnlyList<Told> Wrong)
{
    public PlannedElement Element => Plan.Elements[0];

    public bool Reads => Element.Reads && Wrong.Count == 0;
}

/// <summary>Tries her words in every stitch that fits them, so that nobody unpicks a word to find out.</summary>
public static class TryOut
{
    /// <summary>At most this many ways are shown.</summary>
    public const int Most = 32;

    /// <summary>
    /// The ways for the first wording of a job, as the plan has it: each stitch with the strands that suit its height, and thinner;
    /// those that cannot write so small are left out. Empty where there are no words, or where they are no lines.
    /// </summary>
    public static IReadOnlyList<TryMake> Makes(Job job, Plan plan)
    {
        if (job.Elements.Count == 0 || plan.Elements[0] is not { IsMotif: false } words)
        {
            return [];
        }

        var cap = words.CapHeightMm;
        return Book.Lines.SelectMany(stitch =>
        {
            var usual = stitch.Info.StrandsUpTo.First(r => cap <= r.UpToMm).Strands;
            return new[] { usual, Materials.Bundle.Fewer(usual, 1) }.Distinct().Where(n => stitch.LeastCapMm(n) <= cap * Near)
                .Select(n => new TryMake(stitch, n));
        }).OrderBy(m => Math.Abs(m.Stitch.LineWidthMm(m.Strands) - words.LineWidthMm)).Take(Most).ToArray();
    }

    /// <summary>A way is shown when its least height is not far over that of the words: she sees then how it closes up.</summary>
    private const double Near = 1.1;

    /// <summary>A way by its id; null where there is none of that name.</summary>
    public static TryMake? Find(string id)
    {
        var at = id.LastIndexOf('-');
        return at > 0 && int.TryParse(id.AsSpan(at + 1), NumberStyles.None, CultureInfo.InvariantCulture, out var strands)
            && Materials.Bundle.Is(strands) && Book.Lines.FirstOrDefault(s => s.Id == id[..at]) is { } stitch
            ? new TryMake(stitch, strands) : null;
    }

    /// <summary>The job with its first wording made so, all else as it is; sizes stay those of the plan.</summary>
    public static Job With(Job job, Plan plan, TryMake make)
    {
        var made = Taken(job, make.Stitch, make.Strands);
        var first = made.Elements[0];
        return Without(made, "words.alphabet", "words.size", "words.rows", "stitch.letters") with
        {
            Elements =
            [
                first with
                {
                    Letters = [],
                    CapHeightMm = first.WidthMm is null ? plan.Elements[0].CapHeightMm : null,
                    Rows = first.Text.Contains('\n', StringComparison.Ordinal) ? null : plan.Elements[0].Rows.Count,
                    Alphabet = plan.Elements[0].Alphabet,
                },
                .. made.Elements.Skip(1),
            ],
            Done = null,
        };
    }

    /// <summary>
    /// The job with a stitch for its words, for its motif where it has no words, or for what is filled; and with so many strands, or
    /// as many as suit it. What was settled of it before gives way.
    /// </summary>
    public static Job Taken(Job job, IStitch stitch, int? strands = null) => Finding.What(stitch) switch
    {
        StitchBook.Makes.Area => job with
        {
            Overrules = new Dictionary<string, string>((job.Overrules ?? Nothing).Where(o => o.Key != "stitch.fill"), StringComparer.Ordinal)
            {
                ["stitch.fill"] = stitch.Id,
            },
        },
        _ => Without(job, "stitch.outline", "thread.strands") with
        {
            Elements = job.Elements.Select((e, i) => i > 0 ? e : e with { Stitch = stitch.Id, Strands = strands }).ToArray(),
            Motifs = job.Elements.Count > 0 ? job.Motifs
                : job.MotifsAsked.Select((m, i) => i > 0 ? m : m with { Stitch = stitch.Id, Strands = strands }).ToArray(),
        },
    };

    private static readonly Dictionary<string, string> Nothing = new(StringComparer.Ordinal);

    private static Job Without(Job job, params string[] decisions) => job.Overrules is not { } overrules ? job : job with
    {
        Overrules = overrules.Where(o => !decisions.Contains(o.Key, StringComparer.Ordinal))
            .ToDictionary(o => o.Key, o => o.Value, StringComparer.Ordinal),
    };

    /// <summary>A way tried out, by the plan of <see cref="With"/>.</summary>
    public static Tried Of(TryMake make, Plan tried) => new(make, tried, tried.Time.HandsOnMinutes, tried.Threads.Sum(t => t.LengthMm),
        tried.Elements[0].Concerns.Where(c => c.What != "does-not-show").Select(c => c.Text).ToArray());
}
