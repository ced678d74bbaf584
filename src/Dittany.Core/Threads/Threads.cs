using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Threads;

/// <summary>
/// What is needed of one thread. Lengths are of the working bundle, in mm; <paramref name="FreshRuns"/> of the runs begin where nothing
/// holds them yet, <paramref name="Cuts"/> threads are cut for them; skeins count whole skeins of six strands.
/// </summary>
public sealed record ThreadNeed(Materials.Thread Thread, double LengthMm, double FrontMm, double BackMm, int Runs, int FreshRuns, int Cuts,
    double CutMm, int Skeins, string Needle)
{
    public string Colour => Thread.Colour;

    public int Strands => Thread.Ply;

    /// <summary>What is cut off the skein or ball, mm of it.</summary>
    public double OffMm { get; init; }

    /// <summary>What of a length is worked with, mm, from behind its start: folded, half of what is cut.</summary>
    public double WorkedMm { get; init; }
}

/// <summary>Sums, skeins and the needle.</summary>
public static class ThreadRoom
{
    /// <summary>Another skein is bought when the last would be emptied to within this share (common practice).</summary>
    private const double SpareShare = 0.15;

    public static IReadOnlyList<Choice> NeedleSchools { get; } =
        [new("by-table", "By strands and cloth"), new("finer", "One size finer, for precision"),
            new("larger", "One size larger, to open the hole")];

    /// <summary>
    /// Sums one colour and thickness: (front + back + the cloth at every pass) with take-up, and the tails of every run. Skeins follow from
    /// the cuts: a cut off the skein is six strands and gives as many working threads as go into it; more than six strands are folded, and
    /// cut twice as long.
    /// </summary>
    public static ThreadNeed Sum(Materials.Thread thread, IReadOnlyList<(double FrontMm, double BackMm, int Passes)> stitches, int runs,
        int fresh, int cut, Cutting cutting, double thicknessMm, string needle)
    {
        var front = stitches.Sum(s => s.FrontMm);
        var back = stitches.Sum(s => s.BackMm);
        var length = ((front + back + (thicknessMm * stitches.Sum(s => s.Passes))) * cutting.TakenUp) + cutting.TailsMm(runs, fresh);
        var folded = cutting.Doubled || thread.Folded;
        var cutMm = thread.Folded && !cutting.Doubled ? 2 * cutting.CutMm : cutting.CutMm;
        var cuts = (int)Math.Ceiling((double)cut / PerLength(thread, folded));
        var share = cuts * cutMm / thread.Kind.PutUp.LengthMm;
        return new ThreadNeed(thread, Math.Round(length, 1), Math.Round(front, 3), Math.Round(back, 3), runs, fresh, cut, cutMm,
            runs == 0 ? 0 : Skeins(share), needle)
        {
            OffMm = runs == 0 ? 0 : cuts * cutMm,
            WorkedMm = (folded ? cutMm / 2 : cutMm) - cutting.Later.TailMm,
        };
    }

    /// <summary>
    /// What is needed of each thread where several places need it: lengths add up, and skeins follow from what is cut off.
    /// </summary>
    public static IReadOnlyList<ThreadNeed> Together(IEnumerable<ThreadNeed> needs) => needs.GroupBy(n => (n.Thread, n.Needle)).Select(g =>
        g.Count() == 1 ? g.First() : g.First() with
        {
            LengthMm = Math.Round(g.Sum(n => n.LengthMm), 1),
            FrontMm = Math.Round(g.Sum(n => n.FrontMm), 3),
            BackMm = Math.Round(g.Sum(n => n.BackMm), 3),
            Runs = g.Sum(n => n.Runs),
            FreshRuns = g.Sum(n => n.FreshRuns),
            Cuts = g.Sum(n => n.Cuts),
            CutMm = g.Max(n => n.CutMm),
            OffMm = g.Sum(n => n.OffMm),
            Skeins = Skeins(g.Sum(n => n.OffMm) / g.Key.Thread.Kind.PutUp.LengthMm),
        }).ToArray();

    /// <summary>So many are bought where this share of one is cut off: one more where the last would be nearly emptied.</summary>
    public static int Skeins(double share)
    {
        var skeins = (int)Math.Ceiling(share);
        return skeins > 0 && skeins - share < SpareShare ? skeins + 1 : skeins;
    }

    /// <summary>How many working threads a length as it is cut gives: as many as its strands make, or one of what does not part.</summary>
    private static int PerLength(Materials.Thread thread, bool folded) => !thread.Kind.Parts ? 1
        : Bundle.PerLength(folded ? thread.Ply / 2 : thread.Ply);

    /// <summary>
    /// The needle, with its decision; <paramref name="ofThread"/> is the colour it is for where there are several, else null.
    /// </summary>
    public static (Needle Needle, Decision Decision) Needle(DecisionKey decisionId, string? ofThread, ThreadSize size, Cloth cloth,
        string school, bool whipped, string? hers)
    {
        var usual = Needles.For(size, cloth);
        var own = school switch
        {
            "finer" => Needles.Beside(usual, finer: true),
            "larger" => Needles.Beside(usual, finer: false),
            _ =>
            usual
        };
        var taken = hers is null ? own : Needles.Find(hers).Sure();
        var because = new List<Told>
        {
            $"Its eye takes {size.Said} and its shaft opens the cloth just enough{(size.ByStrands && size.Ply > 1 ? " for them" : string.Empty)}.",
        };
        if (own != usual)
        {
            because.Add($"By your habit one size "
                + $"{(school == "finer" ? $"finer than {usual.Name}, for precision: if the thread frays at the eye, go back" : $"larger than {usual.Name}, so that the thread slides through")}.");
        }

        if (cloth.Kind.Knit)
        {
            because.Add("On a knit take the same size with a ball point, which parts the loops instead of cutting them.");
        }

        because.AddRange(size.ByStrands ? [] : [(Told)"A folded end must push through the eye; if it shreds, take a larger eye."]);
        if (size.Kind.Frays)
        {
            because.Add("A large eye and a sharp point: the thread then goes through the hole the needle has made, and frays less.");
        }

        if (whipped)
        {
            because.Add("For what slides under other stitches take a blunt one of the same size: it does not split them.");
        }

        return (taken, Deciding.Make(
            decisionId,
            Station.Thread,
            ofThread is null ? "The needle" : $"The needle for {ofThread}, {size.Said}",
            new Choice(own.Id, Say.Upper(own.Name)),
            hers is null ? null : new Choice(taken.Id, Say.Upper(taken.Name)),
            because,
            ["More or fewer strands, a heavier cloth, or your habit of needles."],
            Needles.All.Where(n => n.Id.StartsWith("crewel", StringComparison.Ordinal) || !size.ByStrands).Select(n =>
                new Choice(n.Id, Say.Upper(n.Name))).ToArray()));
    }
}
