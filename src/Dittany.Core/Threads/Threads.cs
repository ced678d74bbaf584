using System.Globalization;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Threads;

/// <summary>How a thread is begun or ended, with the length that takes.</summary>
public sealed record Ending(string ChoiceId, string Name, double TailMm, double Minutes, string Because, string Source);

/// <summary>The thread of one colour and thickness. Lengths are of the working bundle, in mm; skeins count whole skeins of six strands.</summary>
public sealed record ThreadNeed(string Colour, int Strands, double LengthMm, double FrontMm, double BackMm, int Runs, double CutMm, int Skeins, string Needle);

/// <summary>How threads are cut, begun and ended, and what a run can stitch.</summary>
public sealed record Cutting(double CutMm, Ending Start, Ending Finish, IReadOnlyList<Decision> Decisions)
{
    /// <summary>Take-up and unpicking (from memory).</summary>
    public const double TakeUp = 1.10;

    /// <summary>What one run can stitch; never under 50 mm, or no line could be begun.</summary>
    public double RunMm => Math.Max(50, CutMm - Start.TailMm - Finish.TailMm);
}

/// <summary>Cuts, tails, sums and skeins.</summary>
public static class ThreadRoom
{
    /// <summary>Lengths a maker may cut, in mm.</summary>
    public const double LeastCutMm = 250;

    public const double MostCutMm = 1000;

    /// <summary>Another skein is bought when the last would be emptied to within this share (common practice).</summary>
    private const double SpareShare = 0.15;

    public static IReadOnlyList<Ending> Starts { get; } =
    [
        new("away-knot", "Away-knot, 12 cm off", 120, 2.5, "No knot stays in the work: the tail is cut free and woven in.", "common practice"),
        new("trapped-tail", "Tail held and trapped", 60, 1.5, "The first stitches cross the tail and hold it: no knot, no tail to weave.", "common practice"),
        new("knot", "Knot at the end", 15, 1.5, "Quickest; a knot can bulge and can pull through.", "common practice"),
    ];

    public static IReadOnlyList<Ending> Finishes { get; } =
    [
        new("weave", "Woven in, no knot", 80, 1.0, "Under three stitches, turn, two more: flat, and it holds in the wash.", "common practice"),
        new("knot-and-weave", "Knotted and woven in", 80, 1.5, "A knot, then under two stitches: the safest, a little thicker.", "common practice"),
        new("knot", "Knotted", 50, 1.0, "Quick; a small tail must be left for the knot to survive the wash.", "common practice"),
    ];

    /// <summary>Usual cut lengths, mm.</summary>
    public static IReadOnlyList<Choice> Cuts { get; } = [new("300", "Cut 30 cm"), new("450", "Cut 45 cm"), new("600", "Cut 60 cm")];

    public static Cutting Settle(double habitCutMm, string habitStart, string habitFinish, double? hersCutMm, string? hersStart, string? hersFinish)
    {
        var start = Starts.First(s => s.ChoiceId == (hersStart ?? habitStart));
        var finish = Finishes.First(s => s.ChoiceId == (hersFinish ?? habitFinish));
        var cut = hersCutMm ?? habitCutMm;
        var run = Math.Max(50, cut - start.TailMm - finish.TailMm);
        Decision[] decisions =
        [
            Deciding.Make(
                "thread.cut-length",
                Station.Thread,
                "How long to cut",
                Cut(habitCutMm),
                hersCutMm is null ? null : Cut(cut),
                [
                    $"Of {Say.Length(cut)}, {Say.Length(start.TailMm)} go to the start and {Say.Length(finish.TailMm)} to the finish: {Say.Length(run)} are stitched, {Say.Number((Cutting.TakeUp - 1) * 100, 0)} % of it reckoned for take-up and unpicking.",
                    cut > 500 ? "A long thread tangles and goes fuzzy, and has fewer ends to weave in." : "Longer thread tangles and goes fuzzy; shorter has more ends to weave in.",
                ],
                ["The habit of how long you cut."],
                Cuts),
            Of("thread.start", "How a thread begins", Starts, habitStart, hersStart, start),
            Of("thread.finish", "How a thread ends", Finishes, habitFinish, hersFinish, finish),
        ];
        return new Cutting(cut, start, finish, decisions);

        static Choice Cut(double mm) => new(mm.ToString(CultureInfo.InvariantCulture), $"Cut {Say.Number(mm / 10)} cm");

        static Decision Of(string id, string subject, IReadOnlyList<Ending> all, string habit, string? hers, Ending taken)
        {
            var own = all.First(e => e.ChoiceId == habit);
            return Deciding.Make(
                id,
                Station.Thread,
                subject,
                new Choice(own.ChoiceId, own.Name),
                hers is null ? null : new Choice(taken.ChoiceId, taken.Name),
                [taken.Because, $"It takes {Say.Length(taken.TailMm)} of each thread."],
                ["Your habit of beginning and ending threads."],
                all.Select(e => new Choice(e.ChoiceId, e.Name)).ToArray());
        }
    }

    /// <summary>
    /// Sums one colour and thickness: (front + back + twice the cloth for each stitch) with take-up, and the tails of every run. Skeins follow from the cuts: a cut off the
    /// skein is six strands and gives as many bundles as go into it.
    /// </summary>
    public static ThreadNeed Sum(string colour, int strands, IReadOnlyList<(double FrontMm, double BackMm)> stitches, int runs, Cutting cutting, double thicknessMm, string needle)
    {
        var front = stitches.Sum(s => s.FrontMm);
        var back = stitches.Sum(s => s.BackMm);
        var length = ((front + back + (2 * thicknessMm * stitches.Count)) * Cutting.TakeUp) + (runs * (cutting.Start.TailMm + cutting.Finish.TailMm));
        var cuts = (int)Math.Ceiling((double)runs / Bundle.PerLength(strands));
        var share = cuts * cutting.CutMm / Bundle.SkeinMm;
        var skeins = runs == 0 ? 0 : (int)Math.Ceiling(share);
        if (skeins > 0 && skeins - share < SpareShare)
        {
            skeins++;
        }

        return new ThreadNeed(colour, strands, Math.Round(length, 1), Math.Round(front, 3), Math.Round(back, 3), runs, cutting.CutMm, skeins, needle);
    }

    /// <summary>The needle, with its decision.</summary>
    public static (Needle Needle, Decision Decision) Needle(string decisionId, int strands, Cloth cloth, string? hers)
    {
        var own = Needles.For(strands, cloth);
        var taken = hers is null ? own : Needles.Find(hers)!;
        var because = new List<string>
        {
            $"Its eye takes {Say.Count(strands, "strand")} and its shaft opens {cloth.Weight.ToString().ToLowerInvariant()} cloth just enough.",
        };
        if (cloth.Kind.Knit)
        {
            because.Add("On a knit take the same size with a ball point, which parts the loops instead of cutting them.");
        }

        return (taken, Deciding.Make(
            decisionId,
            Station.Thread,
            "The needle",
            new Choice(own.Id, Upper(own.Name)),
            hers is null ? null : new Choice(taken.Id, Upper(taken.Name)),
            because,
            ["More or fewer strands, or a heavier cloth."],
            Needles.All.Where(n => n.Id.StartsWith("crewel", StringComparison.Ordinal)).Select(n => new Choice(n.Id, Upper(n.Name))).ToArray()));
    }

    private static string Upper(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
