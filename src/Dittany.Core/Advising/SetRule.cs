using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;

namespace Dittany.Core.Advising;

/// <summary>
/// One name of a set: the height it would take alone, the largest at which it fits with the set's stitch, the least at which it reads, and
/// how far it overflows or what is wrong at the set's height; and the hand it is written in, which is another where the set's lacks its
/// letters. Lengths in mm.
/// </summary>
public sealed record SetName(string Text, double AloneCapMm, double LargestCapMm, double LeastCapMm, double OverflowMm,
    IReadOnlyList<Told> Wrong, IAlphabet Hand);

/// <summary>
/// One lettering size for all names of a set: the name that governs it and why, and what all others would gain if that name were dropped
/// (null where nothing would).
/// <paramref name="RoomMm"/> is the room each name has, as wide and high as the field.
/// </summary>
public sealed record SetSizing(double CapMm, Pair Pair, string Governing, Told Because, double? WithoutCapMm, string? NextGoverning,
    IReadOnlyList<SetName> Names, (double Width, double Height) RoomMm)
{
    /// <summary>The cloth that all of a set of badges are stitched on; null for what is bought ready made, or cut one by one.</summary>
    public SetCloth? Cloth { get; init; }

    /// <summary>That cloth in words; null where there is none.</summary>
    public Told? ClothTold => Cloth is not { } c ? null
        : (Told)($"All {Names.Count} on one cloth of {Say.Length(c.WidthMm)} × {Say.Length(c.HeightMm)}: {Say.Count(c.Rows, "row")} of {c.InRow}"
            + $"{(c.Staggered ? ", each row set between those above" : string.Empty)}, with a seam of {Say.Length(MakingUp.BadgeSeamMm)} round each; "
            + $"their second layers come from as much again.");

    /// <summary>What dropping the name that governs would gain, in a sentence.</summary>
    public Told Gain => WithoutCapMm is { } cap
        ? (Told)($"Without “{Governing}” all others could have capitals of {Say.Length(cap)}, {Say.Length(cap - CapMm)} more; "
            + $"“{NextGoverning}” would govern then.")
        : $"Dropping “{Governing}” would gain nothing: the next name wants the same.";
}

/// <summary>
/// The rule of the set: names that belong together are lettered in one size, one stitch and one number of strands. The longest or most
/// demanding name governs: the smallest of the heights they would take alone, but never so small that one of them does not read.
/// </summary>
public static class SetRule
{
    /// <summary>Names a set may have.</summary>
    public const int MostNames = 400;

    /// <summary>
    /// Sizes the names on the item of a job, whose first wording says how they are written; its own text is not used. Names that cannot be
    /// written at all must be sorted out before (<see cref="JobCheck"/>); with no names it throws <see cref="ArgumentException"/>.
    /// </summary>
    public static SetSizing Of(Job like, IReadOnlyList<string> names, Workshop workshop, Library library, CancellationToken stop = default)
    {
        if (names.Count is 0 or > MostNames)
        {
            throw new ArgumentException($"A set has 1 to {MostNames} names.", nameof(names));
        }

        var form = like.FormUsed.Sure();
        var size = form.Scaled(like.MeasuredMm, like.Size) ?? form.Sizes.First(s => s.Id == (like.Size ?? form.UsualSize));
        var drawn = form.At(size, like.Zone);
        var zone = drawn.Zones.FirstOrDefault(z => z.Id == like.Zone) ?? drawn.Zones[0];
        var fabric = Fabric.Settle(form, size, like.Fabric ?? new FabricOverrides(), null);
        var worn = Wearing.Settle(form, like.UseStated, fabric.Cloth.Washable, zone.Hidden, _ => null);
        var ground = new WordingGround(form, drawn, zone, Field.Of(drawn, zone), fabric.Cloth, worn, library,
            new Budget(Budget.OfAPlan, stop))
        {
            HasIron = workshop.Equipment.Contains("iron", StringComparer.Ordinal),
        };
        var planner = new WordingPlanner(ground, workshop, new HeardOverrides(OverrideSet.None));
        var asked = like.Wordings[0];
        var alone = names.Select(n => (Name: n, Settled: planner.Letter(asked with { Text = n, CapHeightMm = null }))).ToArray();
        var governing = alone.OrderBy(a => a.Settled.Answer.OverflowMm > 0 ? 0 : 1).ThenBy(a =>
            a.Settled.Answer.CapMm).ThenByDescending(a => a.Settled.Question.Settings.Usual.Width).First();
        var pair = governing.Settled.Answer.Pair;

        // All are written with the pair of the one that governs; one that does not read so small lifts them all.
        double Least((string Name, (LetteringQuestion Question, LetteringAnswer Answer) Settled) a) =>
            LeastReading(a.Settled.Question, pair);
        var demanding = alone.OrderByDescending(Least).First();
        var (cap, because) = (governing.Settled.Answer.CapMm,
            (Told)($"“{governing.Name}” has the least room for its length: alone it takes capitals of "
                + $"{Say.Length(governing.Settled.Answer.CapMm)}."));
        var governs = governing;
        if (Least(demanding) > cap)
        {
            (cap, governs) = (Math.Ceiling(Least(demanding)), demanding);
            because = $"“{demanding.Name}” does not read any smaller: its narrowest letter wants capitals of {Say.Length(cap)}.";
        }

        var others = alone.Where(a => a.Name != governs.Name).ToArray();
        var next = others.OrderBy(a => a.Settled.Answer.OverflowMm > 0 ? 0 : 1).ThenBy(a => a.Settled.Answer.CapMm).ThenByDescending(a =>
            a.Settled.Question.Settings.Usual.Width).FirstOrDefault();
        double? without = next.Name is null ? null : Math.Max(next.Settled.Answer.CapMm, others.Max(Least));
        var (least, greatest) = ground.Field.IsEmpty ? (default, default) : ground.Field.Box;
        return new SetSizing(
            cap, pair, governs.Name, because, without > cap ? without : null, without > cap ? next.Name : null,
            alone.Select(a => At(a.Name, a.Settled, pair, cap, Least(a))).ToArray(), (greatest.X - least.X, greatest.Y - least.Y))
        {
            Cloth = form.Loose == LooseCloth.Badge ? SetCloth.Of(names.Count, size.WidthMm, size.HeightMm, MakingUp.BadgeSeamMm,
                ClothAllowance.BadgeMm, round: true) : null,
        };
    }

    private static SetName At(string name, (LetteringQuestion Question, LetteringAnswer Answer) alone, Pair pair, double cap, double least)
    {
        var question = alone.Question with { CapMm = cap, Strands = pair.Strands, Stitch = pair.Stitch };
        var answer = Lettering.Settle(question);
        return new SetName(name, alone.Answer.CapMm, Math.Round(answer.LargestCapMm, 3), Math.Round(least, 2),
            Math.Round(answer.OverflowMm, 2), answer.Faults.Select(f => f.Text).ToArray(), question.Alphabet);
    }

    /// <summary>
    /// The least height at which nothing in a name shuts with this pair: in closed form from the faults at one millimetre, each of which
    /// says where it is cured.
    /// </summary>
    private static double LeastReading(LetteringQuestion q, Pair pair) =>
        Legibility.Faults(q.Settings.Wide, q.Alphabet, pair, q.Cloth, 1).Select(f => f.CuredAtMm).DefaultIfEmpty(0).Max();
}
