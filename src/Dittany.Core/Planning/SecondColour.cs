using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Stitches.OnLines;
using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>A thread of its own colour for whipping and lacing: the second journey of a line becomes a part of its own.</summary>
internal static class SecondColour
{
    /// <summary>The parts, those that are worked twice over parted in two: the line, and what goes round it in the other colour.</summary>
    public static IReadOnlyList<Part> In(IReadOnlyList<Part> parts, string? colour) => colour is null ? parts : parts.SelectMany(part =>
    {
        var first = Worked(part) ? part.Stitches.TakeWhile(s => s.Shape != StitchShape.Whip).Count() : part.Stitches.Count;
        return first == part.Stitches.Count ? [part]
            : new[]
            {
                part with { Stitches = part.Stitches.Slice(0, first) },
                part with
                {
                    Stitches = part.Stitches.Slice(first, part.Stitches.Count - first),
                    Thread = part.Thread with { Colour = Hex(colour) },
                },
            };
    }).ToArray();

    /// <summary>
    /// The decisions with a word at the colour where no line is worked twice, so that a second colour has nothing to act on.
    /// </summary>
    public static void Tell(List<Decision> decisions, string id, IReadOnlyList<Part> parts, string? colour)
    {
        var at = decisions.FindIndex(d => d.Id == id);
        if (colour is null || at < 0)
        {
            return;
        }

        var name = Palette.NameOf(Hex(colour));
        decisions[at] = parts.Any(Worked) ? decisions[at] with
        {
            Because = [.. decisions[at].Because, $"What is whipped or laced over it is {name}: a thread of its own."],
        } : decisions[at] with
        {
            NotFollowed = [.. decisions[at].NotFollowed ?? [],
                (Told)$"{Say.Upper(name)} for a second thread, your wish, is not followed: nothing here is whipped or laced. Take a whipped or a laced stitch."],
            UnfollowedWish = true,
        };
    }

    private static bool Worked(Part part) => part.Filling is null && Book.Find(part.Stitch) is TwiceOver;

    private static string Hex(string colour) => Palette.Colours.FirstOrDefault(c => c.Id == colour)?.Hex ?? colour;
}
