using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;

namespace Dittany.Core.Advising;

/// <summary>One way to make her very words: a stitch with so many strands.</summary>
public sealed record TryMake(IStitch Stitch, Materials.ThreadSize Size)
{
    /// <summary>What an address calls it.</summary>
    public string Id => Size.Kind.Id == Materials.ThreadKinds.Cotton.Id ? string.Create(CultureInfo.InvariantCulture, $"{Stitch.Id}-{Size.Ply}")
        : string.Create(CultureInfo.InvariantCulture, $"{Stitch.Id}.{Size.Kind.Id}-{Size.Ply}");

    public int Strands => Size.Ply;

    public string Name => $"{Say.Upper(Stitch.Name)}, {Size.Said}";
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
        if (plan.Elements.FirstOrDefault(e => !e.IsMotif) is not { } words)
        {
            return [];
        }

        var cap = words.CapHeightMm;
        double Off(TryMake m) => Math.Abs(m.Stitch.LineWidthMm(m.Size) - words.LineWidthMm);
        var ruledOut = (plan.Decision(DecisionKey.ThreadKind)?.RuledOut ?? []).Select(r => r.ChoiceId).ToHashSet(StringComparer.Ordinal);
        var others = Materials.ThreadKinds.All.Where(k => !k.Parts && !ruledOut.Contains(k.Id)).SelectMany(k =>
            OtherStitches.Concat(words.Parts.Take(1).Select(p => p.Stitch)).Distinct(StringComparer.Ordinal).Select(Book.Find)
                .OfType<IStitch>()
                .Where(s => Book.Lines.Contains(s) && ThreadRules.Against(k, s) is null)
                .Select(s => new TryMake(s, new Materials.ThreadSize(k, k.Usual)))
                .Where(m => m.Stitch.LeastCapMm(m.Size) <= cap * Near).OrderBy(Off).Take(1)).OrderBy(Off).Take(MostOthers).ToArray();
        return Book.Lines.SelectMany(stitch =>
        {
            var usual = stitch.Info.StrandsUpTo.First(r => cap <= r.UpToMm).Strands;
            return new[] { usual, Materials.Bundle.Fewer(usual, 1) }.Distinct().Where(n => stitch.LeastCapMm(n) <= cap * Near)
                .Select(n => new TryMake(stitch, n));
        }).OrderBy(Off).Take(Most - others.Length).Concat(others).ToArray();
    }

    /// <summary>
    /// So many ways are in other threads than stranded cotton, each in whichever of these stitches comes nearest to the words as planned.
    /// </summary>
    private const int MostOthers = 6;

    private static readonly string[] OtherStitches = ["backstitch", "stem", "couching"];

    /// <summary>A way is shown when its least height is not far over that of the words: she sees then how it closes up.</summary>
    private const double Near = 1.1;

    /// <summary>A way by its id; null where there is none of that name.</summary>
    public static TryMake? Find(string id)
    {
        var at = id.LastIndexOf('-');
        return at > 0 && int.TryParse(id.AsSpan(at + 1), NumberStyles.None, CultureInfo.InvariantCulture, out var strands)
            && id[..at].Split('.') is [var named, .. var rest] && rest.Length < 2
            && (rest is [var thread] ? Materials.ThreadKinds.Find(thread) : Materials.ThreadKinds.Cotton) is { } kind
            && kind.Plies.Contains(strands)
            && Book.Lines.FirstOrDefault(s => s.Id == named) is { } stitch
            ? new TryMake(stitch, new Materials.ThreadSize(kind, strands)) : null;
    }

    /// <summary>The job with its first wording made so, all else as it is; sizes stay those of the plan.</summary>
    public static Job With(Job job, Plan plan, TryMake make)
    {
        var made = Taken(job, make.Stitch, make.Size);
        var words = plan.Elements.First(e => !e.IsMotif);
        return Without(made, words.Id, "words.alphabet", "words.size", "words.rows", "stitch.letters") with
        {
            Elements = made.With(words.Id, e => e is TextElement first ? first with
            {
                Letters = [],
                CapHeightMm = first.WidthMm is null ? words.CapHeightMm : null,
                Rows = first.Text.Contains('\n', StringComparison.Ordinal) ? null : words.Rows.Count,
                Alphabet = words.Alphabet,
            } : e).Elements,
            Done = null,
        };
    }

    /// <summary>
    /// The job with a stitch for its words, for its motif where it has no words, or for what is filled; and with so many strands, or
    /// as many as suit it. What was settled of it before gives way, a thread too that the stitch is not worked in.
    /// </summary>
    public static Job Taken(Job job, IStitch stitch, Materials.ThreadSize? size = null)
    {
        var taken = (job.Wordings is [var words, ..] ? words : job.Elements[0]).Id;
        return Finding.What(stitch) switch
        {
            StitchBook.Makes.Area => job with
            {
                Overrides = job.Overrides.With("stitch.fill", stitch.Id),
            },
            _ => Without(job, taken, ["stitch.outline", "thread.strands", .. size is null ? Array.Empty<string>() : [DecisionKey.ThreadKind]])
                .With(taken, e => e with
                {
                    Stitch = stitch.Id,
                    Strands = size?.Ply,
                    Thread = size is null ? Bears(e.Thread) : KindOf(size.Value),
                }),
        };

        string? Bears(string? thread) =>
            Materials.ThreadKinds.Find(thread) is { } kind && ThreadRules.Against(kind, stitch) is null ? thread : null;
    }

    private static string? KindOf(Materials.ThreadSize size) => size.Kind.Id == Materials.ThreadKinds.Cotton.Id ? null : size.Kind.Id;

    /// <summary>The job without her choices of these decisions about one element.</summary>
    private static Job Without(Job job, string element, params string[] decisions) => job with
    {
        Overrides = job.Overrides.Without(decisions.Select(d => Places.KeyOf(job, d, element))),
    };

    /// <summary>A way tried out, by the plan of <see cref="With"/>.</summary>
    public static Tried Of(TryMake make, Plan tried) => new(make, tried, tried.Time.HandsOnMinutes, tried.Threads.Sum(t => t.LengthMm),
        tried.Elements[0].Concerns.Where(c => c.What != "does-not-show").Select(c => c.Text).ToArray());
}
