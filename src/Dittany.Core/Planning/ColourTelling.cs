using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>
/// What is told of a thread's colour beside whether it shows: which of hers is nearest, and whether it will please for long.
/// </summary>
internal static class ColourTelling
{
    /// <summary>From this chroma on, and at least this light, a colour is of its year (from memory).</summary>
    private const double LoudFromChroma = 62;

    private const double LoudFromL = 50;

    /// <summary>
    /// The decision with the nearest of her threads, and on a child's lasting thing with a softer colour where this one is loud.
    /// </summary>
    public static Decision Told(Decision decision, string kind, Worn worn, IReadOnlyList<OwnThread> hers)
    {
        var hex = decision.ChoiceId;
        var more = new List<Told>();
        var same = hers.Where(t => t.Kind == kind).ToArray();
        if (Chart.Nearest(hex, same, t => t.Hex, 1) is [var (own, off)])
        {
            more.Add((Told)$"Of yours the nearest is “{own.Name}”: {Chart.Told(off)}.");
        }
        else if (hers.Count > 0)
        {
            more.Add((Told)$"You have no {ThreadKinds.Find(kind).Sure().Name} yet.");
        }

        if (worn.Wearer is "baby" or "child" && worn.Lasts != "day" && Loud(hex) && Softer(hex) is { } softer)
        {
            more.Add((Told)($"On a child’s thing it must still please in ten years, and so bright a colour is of its year: {softer.Name} is the "
                + $"same, softer."));
        }

        if (more.Count == 0)
        {
            return decision;
        }

        // What lies in her own basket is offered too, the nearest first.
        var offered = decision.Alternatives.Select(a => a.ChoiceId).Append(hex).ToHashSet(StringComparer.OrdinalIgnoreCase);
        return decision with
        {
            Because = [.. decision.Because, .. more],
            Alternatives =
            [
                .. decision.Alternatives,
                .. Chart.Nearest(hex, same.Where(t => !offered.Contains(t.Hex)).DistinctBy(t => t.Hex, StringComparer.OrdinalIgnoreCase),
                    t => t.Hex, MostOffered).Select(t => new Choice(t.Colour.Hex, $"“{t.Colour.Name}”, yours")),
            ],
        };
    }

    /// <summary>So many of her threads are offered instead.</summary>
    private const int MostOffered = 6;

    private static bool Loud(string hex) => Colour.Parse(hex).ToLab() is var lab && lab.L >= LoudFromL
        && Math.Sqrt((lab.A * lab.A) + (lab.B * lab.B)) >= LoudFromChroma;

    /// <summary>The colour of the chart nearest to this one with two thirds of its chroma; it is not loud.</summary>
    private static NamedColour? Softer(string hex)
    {
        var lab = Colour.Parse(hex).ToLab();
        var wanted = new Lab(lab.L, lab.A * 0.66, lab.B * 0.66);
        return Chart.All.Where(c => !Loud(c.Hex)).MinBy(c => ColourDifference.Ciede2000(wanted, Colour.Parse(c.Hex).ToLab()));
    }
}
