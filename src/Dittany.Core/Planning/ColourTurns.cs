using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Route;

namespace Dittany.Core.Planning;

/// <summary>Where a variegated thread turns its colour along the work: the repeat laid along the stitches in their working order.</summary>
internal static class ColourTurns
{
    /// <summary>
    /// The elements with a tone for every stitch of what turns. A length is cut from the skein behind the one before it, so the repeat goes
    /// on from length to length; what is cut away with the start and left at the end is part of it.
    /// </summary>
    public static IReadOnlyList<PlannedElement> On(IReadOnlyList<PlannedElement> elements, IReadOnlyList<RouteRow> route, double cutMm)
    {
        if (elements.All(e => e.Parts.All(p => !p.Thread.Kind.Turns)))
        {
            return elements;
        }

        var byElement = elements.ToDictionary(e => e.Id, e => e.Parts.Select(p =>
            p.Thread.Kind.Turns ? new string[p.Stitches.Count] : []).ToArray(), StringComparer.Ordinal);
        var parts = elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var cuts = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var row in route)
        {
            var part = parts[row.Element][row.Part];
            if (!part.Thread.Kind.Turns)
            {
                continue;
            }

            var cut = cuts.GetValueOrDefault(part.Thread.Id, -1) + (row.Cut ? 1 : 0);
            cuts[part.Thread.Id] = cut;
            byElement[row.Element][row.Part][row.Stitch] = Variegation.At(part.Colour,
                (cut * cutMm) + row.AtMm + (part.Stitches[row.Stitch].ThreadMm / 2));
        }

        return elements.Select(e => e with
        {
            Parts = e.Parts.Select((p, i) => p.Thread.Kind.Turns ? p with { Tones = byElement[e.Id][i] } : p).ToArray(),
        }).ToArray();
    }

    /// <summary>Where the colour turns, told beside which thread it is; the decision as it was where none turns.</summary>
    public static void Tell(IReadOnlyList<PlannedElement> elements, List<Decision> decisions)
    {
        for (var i = 0; i < decisions.Count; i++)
        {
            var of = elements.Where((e, n) => decisions[i].Id == (n == 0 ? DecisionKey.ThreadKind : $"{DecisionKey.ThreadKind}:{e.Id}")).FirstOrDefault();
            if (of?.Parts.Where(p => p.Tones.Count > 0).ToArray() is { Length: > 0 } parts)
            {
                decisions[i] = decisions[i] with { Because = [.. decisions[i].Because, Told(of, parts)] };
            }
        }
    }

    private static Told Told(PlannedElement element, Part[] parts)
    {
        var within = parts.Where(p => p.Tones.Distinct(StringComparer.Ordinal).Count() > 1).Select(p => p.Letter)
            .Distinct(StringComparer.Ordinal).ToArray();
        var every = Variegation.RepeatMm / Variegation.Tones.Count;
        var line = parts.Sum(p => p.Stitches.Sum(s => s.LengthMm)) / Math.Max(1, parts.Sum(p => p.Stitches.Select((s, i) =>
            s.ThreadMm + (i == 0 ? 0 : Routing.Behind(p.Stitches[i - 1], s))).Sum()));
        return (Told)$"Its colour turns about every {Say.Length(every)} of thread, which is about {Say.Length(Math.Round(every * line))} of what is seen: "
            + (within.Length == 0 ? (Told)"here between parts, never within one."
                : element.IsMotif ? (Told)$"within {Say.Count(within.Length, "part")} of it." : (Told)$"within {Say.List(within)}.");
    }
}
