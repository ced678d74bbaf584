using Dittany.Core.Decisions;
using Dittany.Core.Finishing;
using Dittany.Core.Hooping;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;

namespace Dittany.Core.Jobs;

/// <summary>
/// A workshop preference that steers the plan: one school of several, with what it changes and the decision that tells of it.
/// </summary>
public sealed record Habit(string Id, string Name, string Changes, string ToldAt, IReadOnlyList<Choice> Choices, string Default);

/// <summary>The habits of the rooms that stand. Practitioners differ on each; every one changes the plan.</summary>
public static class Habits
{
    /// <summary>The habit of how many needles are kept threaded.</summary>
    public const string NeedlesThreaded = "needles-threaded";

    public static IReadOnlyList<Habit> All { get; } =
    [
        new("size", "How large words are made", "the height of the capitals", "words.size",
            [new("comfortable", "A comfortable share of the space"), new("largest", "As large as fits"),
            new("smallest", "As small as reads")], "comfortable"),
        new("letter-stitch", "What you write letters in", "the stitch of every letter, where its height allows", "stitch.outline",
            [new("by-height", "By height and cloth"), new("backstitch", "Backstitch: clear and easy"),
                new("split", "Split stitch: round and fast"), new("stem", "Stem stitch: plush"), new("outline", "Outline stitch: narrow"),
                new("whipped-backstitch", "Whipped backstitch: no joints"), new("chain", "Chain stitch: bold")], "by-height"),
        new("split-strands", "Strands for split stitch", "the bundle of split stitch", "thread.strands",
            [new("any", "Any number"), new("even", "An even number, parted in halves")], "any"),
        new("chain-strands", "Strands for chain letters", "the bundle of chain stitch", "thread.strands",
            [new("two-or-three", "Two or three, more only for huge letters"), new("four", "Four in general, six on dark and busy cloth")],
            "two-or-three"),
        new("stitch-length", "Stitch length on curves", "where every stitch ends", "stitch.length",
            [new("graded", "Shorter on curves, longer on straights"), new("uniform", "One length all along a stretch")], "graded"),
        new("stitch-size", "Stitch length on straights", "how many stitches there are", "stitch.length",
            [new("by-stitch", "As is usual for each stitch"), new("eighth-inch", $"An eighth of an inch ({Measures.Say.Length(3.2)})"),
            new("five", $"{Measures.Say.Length(5)}"), new("ten", $"{Measures.Say.Cm(1)}")], "by-stitch"),
        new("stem-side", "Which side the stem thread lies on", "how a stem line slants on bends", "stitch.length",
            [new("one-side", "One side, kept throughout"), new("outside-of-bend", "The outside of each bend")], "one-side"),
        new("whip-side", "How rounds are whipped", "how the wraps slant on round letters", "stitch.length",
            [new("same-side", "Always from the same side"), new("outward", "Outward round the bend, the hoop turned")], "same-side"),
        new("dots", "How dots are made", "the dots of letters, and their thread", "stitch.dots",
            [new("by-height", $"Tiny straights, knots from {Measures.Say.Length(12)} capitals"), new("straight", "Always tiny straights"),
            new("knot", "Always French knots")], "by-height"),
        new("knot-wraps", "Wraps of a French knot", "how wide knots are, and their thread", "stitch.dots",
            [new("1", "One"), new("2", "Two"), new("3", "Three")], "2"),
        new("knot-hole", "Where a knot goes down", "how a knot is told to be made", "stitch.dots",
            [new("beside", "Beside the hole it came up by"), new("same", "In the same hole")], "beside"),
        new("fill", "What is done with areas", "whether petals, leaves and thick letters are filled", "stitch.fill",
            [new(FillWays.AsDrawn, "Thick letters and rich drawings are filled, plain ones outlined"),
                new(FillWays.None, "They are worked along their outline"),
                new(FillWays.ByPart, "Each part is filled with what suits it")],
            FillWays.AsDrawn),
        new("needle-action", "How the needle goes", "the pace of stitching, and how tight the cloth is", "stitch.action",
            [new("stab", "Straight down and straight up"), new("skim", "In and out in one move")], "stab"),
        new("hand", "Which hand stitches", "which letter is worked first where a line can be wiped", "order.parts",
            [new("right", "The right"), new("left", "The left")], "right"),
        new("motif-first", "What of a flower comes first", "the order of a motif's parts", "order.parts", WorkOrders.Firsts,
            "greens-first"),
        new("motif-rounds", "Motifs that are repeated", "how often the needle is threaded anew", "order.parts", WorkOrders.Rounds,
            "colour-by-colour"),
        new(NeedlesThreaded, "Needles kept threaded", "how often a needle is threaded anew, and how much thread is cut", "order.parts",
            [new("1", "One"), new("3", "Three, parked beside it"), new("6", "Six"), new("12", "A dozen")], "1"),
        new("evenness", "How even drawings are", "whether petals and copies are all alike", "motif.arrangement",
            [new("exact", "Exact, each like the other"), new("natural", "Natural, no two quite alike")], "exact"),
        new("lying", "What lies over what", "which comes first, and whether it is tucked under", "order.layers", WorkOrders.Layers,
            WorkOrders.UnderFirst),
        new("draw", "How the lines get there", "the transfer", "transfer.method", TransferRoom.Draws, "transferred"),
        new("marker", "What you mark with", "the marker", "transfer.marker", TransferRoom.Markers, "erasable"),
        new("hold-film", "How film is held", "the steps and minutes of the transfer", "transfer.method", TransferRoom.FilmHolds,
            "pin-and-tack"),
        new("hold", "How you hold the work", "the hoopings, and the minutes for them", "hoop.school", Holding.Choices, "hoop"),
        new("tension", "How tight in the hoop", "the tension, with a caution where it harms", "hoop.tension", Holding.Tensions,
            "slack-on-knits"),
        new("layers", "Which layers of a lined thing", "how thick the cloth is that the thread goes through", "hoop.layers",
            Holding.Layers, "outer-only"),
        new("cut-length", "How long you cut thread", "the number of threads and their ends", "thread.cut-length", CuttingRoom.Cuts, "450"),
        new("strand-use", "Single or double", "how many strands are cut, and how long", "thread.cut-length", CuttingRoom.Uses, "single"),
        new("strip", "How you part strands", "the minutes each thread takes", "thread.cut-length", CuttingRoom.Strips, "halves"),
        new("start", "How you begin a thread", "tails and minutes", "thread.start",
            CuttingRoom.Starts.Select(s => new Choice(s.ChoiceId, s.Name)).ToArray(), "away-knot"),
        new("finish", "How you end a thread", "tails and minutes", "thread.finish",
            CuttingRoom.Finishes.Select(s => new Choice(s.ChoiceId, s.Name)).ToArray(), "weave"),
        new("tail", "How short ends are cut", "the finishing", "finish.removal", FinishRoom.Tails, "close"),
        new("needle", "Which needle", "the size of the needle", "needle.size", ThreadRoom.NeedleSchools, "by-table"),
        new("carry", "Between letters", "how many threads there are", "order.parts",
            [new("carry", "The thread goes on where the cloth allows"), new("cut-each-letter", "Every letter ends its thread")], "carry"),
        new("jumps", "How far a thread jumps behind", "how many threads there are", "order.parts",
            [new("by-use", $"{Measures.Say.Length(5)} on skin and on what is handled, {Measures.Say.Cm(1)} elsewhere"),
            new("ten", $"Up to {Measures.Say.Cm(1)} everywhere, on jersey too")], "by-use"),
        new("film-out", "How film comes out", "the steps and minutes of finishing", "finish.removal", FinishRoom.FilmOuts, "by-hand"),
        new("press", "How you press", "the last step and the care of the stitches", "finish.press", FinishRoom.Presses, "face-down-steam"),
    ];

    public static Habit? Find(string id) => All.FirstOrDefault(h => h.Id == id);
}
