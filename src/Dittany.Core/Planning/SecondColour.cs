using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Stitches.OnLines;

namespace Dittany.Core.Planning;

/// <summary>A thread of its own colour for whipping and lacing: the second journey of a line becomes a part of its own.</summary>
internal static class SecondColour
{
    /// <summary>
    /// The parts, those that are worked twice over parted in two: the line, and what goes round it in the other colour. What is laid in
    /// another thread than strands is tied down with one strand of cotton, in its own colour where no other is
    /// wished; <paramref name="cotton"/> is that of the workshop.
    /// </summary>
    public static IReadOnlyList<Part> In(IReadOnlyList<Part> parts, string? colour, ThreadKind cotton) => parts.SelectMany(part =>
    {
        var laid = Laid(part);
        if (colour is null && !(laid && !part.Thread.Kind.Parts))
        {
            return [part];
        }

        // Along the line once; then what goes round it, or over it from side to side.
        var first = !Worked(part) ? part.Stitches.Count
            : laid ? Enumerable.Range(1, part.Stitches.Count).First(i => i == part.Stitches.Count || part.Stitches[i].Passes == 2)
            : part.Stitches.TakeWhile(s => s.Shape != StitchShape.Whip).Count();
        if (first == part.Stitches.Count)
        {
            return [part];
        }

        var second = part.Stitches.Slice(first, part.Stitches.Count - first);
        var thread = part.Thread with { Colour = colour is null ? part.Colour : Hex(colour) };
        thread = laid && !thread.Kind.Parts ? thread with { Size = new ThreadSize(cotton, 1) } : thread;
        return new[]
        {
            part with { Stitches = part.Stitches.Slice(0, first) },
            part with { Stitches = second.With(thread.Size), Thread = thread },
        };
    }).ToArray();

    /// <summary>
    /// The decisions with a word at the colour where no line is worked twice, so that a second colour has nothing to act on.
    /// </summary>
    public static void Tell(List<Decision> decisions, DecisionKey id, IReadOnlyList<Part> parts, string? colour)
    {
        var at = decisions.FindIndex(d => d.Id == id);
        if (colour is null || at < 0)
        {
            return;
        }

        var name = Palette.NameOf(Hex(colour));
        decisions[at] = parts.Any(Worked) ? decisions[at] with
        {
            Because = [.. decisions[at].Because, $"{(parts.Any(Laid) ? "What ties it down" : "What is whipped or laced over it")} is {name}: a thread of its own."],
        } : decisions[at] with
        {
            NotFollowed = [.. decisions[at].NotFollowed ?? [],
                (Told)$"{Say.Upper(name)} for a second thread, your wish, is not followed: nothing here is whipped, laced or couched. Take a whipped or a laced stitch, or couching."],
            UnfollowedWish = true,
        };
    }

    private static bool Worked(Part part) => part.Filling is null && Book.Find(part.Stitch) is TwiceOver or Couching;

    private static bool Laid(Part part) => part.Filling is null && Book.Find(part.Stitch) is Couching;

    private static string Hex(string colour) => Palette.Colours.FirstOrDefault(c => c.Id == colour)?.Hex ?? colour;
}
