using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Threads;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// Which thread an element is stitched with, and what follows for the stitch and the number she wished. <paramref name="Strands"/> and
/// <paramref name="Stitch"/> are her wishes where this thread can do them, else null, with what is told instead.
/// </summary>
internal sealed record ThreadChoice(ThreadKind Kind, string? Strands, string? Stitch, Decision Decision,
    IReadOnlyList<Told> StrandsUnfollowed, IReadOnlyList<Told> StitchUnfollowed)
{
    /// <summary>Whether it is laid on the cloth, because it cannot be drawn through it.</summary>
    public bool Laid { get; private init; }

    /// <summary>
    /// <paramref name="asked"/> is the thread she named for the element, or null; <paramref name="strands"/> and <paramref name="stitch"/>
    /// what she wished, or null.
    /// </summary>
    public static ThreadChoice Settle(DecisionKey id, string? asked, string? hers, string? strands, string? stitch, WordingGround ground,
        Workshop workshop)
    {
        var on = new ThreadGround(ground.Cloth, ground.Worn);
        var kinds = ThreadKinds.All.Select(workshop.Thread).ToArray();
        var named = asked ?? hers;
        var kind = kinds.First(k => k.Id == (named ?? ThreadKinds.Cotton.Id));
        var against = kinds.Where(k => k.Id != kind.Id).Select(k => (Kind: k, Why: ThreadSuits.Against(k, on)))
            .Where(k => k.Why.Count > 0).ToArray();
        var because = new List<Told>();
        if (kind.Id == ThreadKinds.Cotton.Id)
        {
            because.Add("Stranded cotton is made as thick as the work wants, and bears every wash its cloth does.");
        }
        else
        {
            var size = new ThreadSize(kind, kind.Parts ? 1 : kind.Usual);
            because.Add($"{Say.Upper(size.Said)} lies {Say.Length(Math.Round(size.WidthMm, 2))} wide.");
            because.AddRange(kind.Handling is { } handling ? [(Told)handling] : []);
            because.AddRange(kind.LongestMm is { } longest ? [(Told)$"It is worked no longer than {Say.Cm(longest / 10)}."] : []);
        }

        var harm = ThreadSuits.Against(kind, on);
        var decision = Deciding.Make(id, Station.Thread, "Which thread", ChoiceOf(ThreadKinds.Cotton), named is null ? null : ChoiceOf(kind),
            [.. harm.Select(h => (Told)$"Think twice: {Say.Lower(h)}"), .. because],
            ["What you like to stitch with, how it is washed, and who wears it."], kinds.Select(ChoiceOf).ToArray(),
            against.Select(a => new RuledOut(a.Kind.Id, ChoiceOf(a.Kind).Text, a.Why)).ToArray()) with
        {
            From = [$"Widths of threads: {(kind.Scale is 1 ? "from memory, until you wrap yours round a ruler" : "measured by you")}."],
        };
        var (held, unheld) = Held(strands, kind);
        var line = stitch is null ? null : Book.Find(stitch);
        var cannot = line is null ? null : ThreadRules.Against(kind, line);
        return new ThreadChoice(kind, held, cannot is null ? stitch : null, decision, unheld, cannot is null ? []
            : [Unworked(line.Sure().Name, null, kind, cannot)])
        {
            Laid = ThreadSuits.Laid(kind, on),
        };
    }

    private static (string? Strands, IReadOnlyList<Told> Unheld) Held(string? strands, ThreadKind kind) =>
        strands is null || kind.Plies.Contains(int.Parse(strands, CultureInfo.InvariantCulture)) ? (strands, [])
            : (null, [Unheld(int.Parse(strands, CultureInfo.InvariantCulture), kind)]);

    /// <summary>
    /// Why a wished stitch is not worked in a thread; <paramref name="where"/> is what it was wished for, or null for the whole.
    /// </summary>
    public static Told Unworked(string stitch, string? where, ThreadKind kind, StitchAgainst cannot) =>
        $"{Say.Upper(stitch)}{(where is null ? string.Empty : $" for {where}")}, your wish, is not followed in {kind.Name}: "
            + $"{Say.Lower(cannot.Because)} {cannot.Cure}";

    /// <summary>Why so many of a thread cannot be had.</summary>
    public static Told Unheld(int strands, ThreadKind kind) => $"{Say.Upper(Say.Count(strands, "strand"))}, your wish, {(strands == 1 ? "is" : "are")} not followed: "
        + $"{kind.Name} has no strands that part; it is worked {Ways(kind)}.";

    /// <summary>In how many a thread is worked, as it is said.</summary>
    public static string Ways(ThreadKind kind) => kind.Plies.Count == 1 ? "as it comes" : "single or doubled";

    public static Choice ChoiceOf(ThreadKind kind) => new(kind.Id, Say.Upper(kind.Name));

    /// <summary>So many of this thread, as it is chosen.</summary>
    public static Choice PlyChoice(ThreadKind kind, int ply) => new(ply.ToString(CultureInfo.InvariantCulture),
        kind.Parts || ply > 1 ? Say.Upper(new ThreadSize(kind, ply).Said)
            : $"{Say.Upper(kind.Name)}, {(kind.Plies.Count == 1 ? "as it comes" : "single")}");

    /// <summary>How wide the thread lies, and the line where it is another, told wherever the number of strands is.</summary>
    public static Told Lies(Pair pair)
    {
        var (thread, line) = (Math.Round(pair.Size.WidthMm, 2), Math.Round(pair.LineWidthMm, 2));
        Told lies = $"{Say.Upper(Legibility.Lie(pair.Size))} {Say.Length(thread)} wide.";
        return thread.Equals(line) ? lies : $"{Say.Upper(Legibility.Lie(pair.Size))} {Say.Length(thread)} wide, and the line {Say.Length(line)}.";
    }

    /// <summary>What the decision on strands is called for this thread.</summary>
    public static string PlySubject(ThreadKind kind) => kind.Parts ? "How many strands" : "Single or doubled";

    /// <summary>The decision on strands with what of her wish was not followed.</summary>
    public static Decision Unfollowed(Decision decision, IReadOnlyList<Told> told) => told.Count == 0 ? decision : decision with
    {
        NotFollowed = [.. told, .. decision.NotFollowed ?? []],
        UnfollowedWish = true,
    };

    /// <summary>
    /// Tells at the decision which parts are in another thread than the whole by her wish, with what speaks against it here and how it is
    /// handled.
    /// </summary>
    public void TellParts(DecisionKey id, IReadOnlyList<Part> parts, WordingGround ground, List<Decision> decisions)
    {
        var at = decisions.FindIndex(d => d.Id == id);
        var others = parts.Where(p => p.Thread.Kind.Id != Kind.Id && !(Laid && p.Thread.Kind.Parts)).GroupBy(p => p.Thread.Kind).ToArray();
        if (at < 0 || others.Length == 0)
        {
            return;
        }

        var on = new ThreadGround(ground.Cloth, ground.Worn);
        decisions[at] = decisions[at] with { Because = [.. decisions[at].Because, .. others.SelectMany(g => OfParts(g.Key, g, on))] };
    }

    private static IEnumerable<Told> OfParts(ThreadKind kind, IEnumerable<Part> parts, ThreadGround on)
    {
        var roles = parts.GroupBy(p => Designs.Roles.Called(p.Role), StringComparer.Ordinal).Select(g =>
            g.Select(p => p.Shape).Distinct(StringComparer.Ordinal).Count() > 1 ? Say.Many(g.Key) : g.Key).ToArray();
        yield return $"{Say.Upper(Say.List(roles))} in {kind.Name}.";
        foreach (var harm in ThreadSuits.Against(kind, on))
        {
            yield return $"Think twice: {Say.Lower(harm)}";
        }

        if (kind.Handling is { } handling)
        {
            yield return handling;
        }
    }

    /// <summary>Tells at the decisions on strands and stitch what of her wishes was not followed.</summary>
    public void Unfollow(DecisionKey strandsId, DecisionKey stitchId, List<Decision> decisions)
    {
        for (var i = 0; i < decisions.Count; i++)
        {
            decisions[i] = decisions[i].Id == strandsId ? Unfollowed(decisions[i], StrandsUnfollowed)
                : decisions[i].Id == stitchId ? Unfollowed(decisions[i], StitchUnfollowed) : decisions[i];
        }
    }

    /// <summary>Whether a thread of this colour shows on the cloth, in every tone it has; nothing where it does.</summary>
    public IEnumerable<Concern> Shows(string colour, Cloth cloth)
    {
        if (Legibility.Showing(Materials.Colour.Parse(colour), cloth) is { } hidden)
        {
            return [hidden];
        }

        return Kind.Turns && Variegation.Tones.Select(t => Materials.Colour.Parse(colour).Paled(t.Paled)).Select(tone =>
                Legibility.Showing(tone, cloth, "Where the thread turns pale it")).OfType<Concern>().FirstOrDefault() is { } pale
            ? [pale with { Text = (Told)$"{pale.Text} Take a thread of one colour, or a darker or lighter cloth.", Remedies = [] }] : [];
    }

    /// <summary>The numbers of this thread that may be chosen.</summary>
    public static Choice[] PlyChoices(ThreadKind kind) =>
        (kind.Parts ? new[] { 1, 2, 3, 4, 6 } : kind.Plies).Select(p => PlyChoice(kind, p)).ToArray();
}
