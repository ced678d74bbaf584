using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;

namespace Dittany.Core.Advising;

/// <summary>
/// Something that went wrong at the needle: what to do now, in order; what never to do; about how many minutes it costs, 0 where it hangs
/// on what is unpicked; and what changes in the plan. <paramref name="Lengths"/>: it is mended by unpicking lengths of thread.
/// </summary>
public sealed record Mishap(string Id, string Name, IReadOnlyList<string> Now, string Never, double Minutes, string Changes, bool Lengths,
    string Source);

/// <summary>What happened, and what helps (common practice; minutes from memory).</summary>
public static class Mishaps
{
    private const string Practice = "common practice; minutes from memory";

    public static IReadOnlyList<Mishap> All { get; } =
    [
        new("faded-mark", "The mark has faded", ["Stop, and leave the work as it lies.", "Lay the template on again by the stitches that are there, {held}.",
            "Trace only what is still to be stitched, with a mark that lasts the evenings left."],
            "Do not go on by eye: a line drifts by a millimetre with every {one}.", 10, "Nothing moves; take another marker for the rest in Transfer.", false, Practice),
        new("torn-film", "The film or paper has torn", ["Lay a piece of the same over the tear, a finger's width larger all round.",
            "Tack it at its edges, and trace what the tear took."], "Do not glue it to the cloth.", 5, "Nothing.", false, Practice),
        new("thread-out", "The thread ran out in the middle", ["Turn the work over and unpick back until a hand's breadth is left.", "Fasten it there under what is stitched.",
            "Begin the next length where that one ended."], "Do not knot a new thread onto the old one on the face.", 4,
            "Say how long the lengths really were, and later ones are planned longer or shorter.", false, Practice),
        new("no-dye", "There is none left of that dye", ["Hold the new skein to the stitched part by daylight.", "Where it shows, end the colour where a {one} ends, and use the new one from there.",
            "On both sides of a mirrored thing change it on both."], "Do not change within a {one}.", 5, "Choose the colour for the parts that are left.", false, Practice),
        new("bleed", "A colour has run", ["Rinse it at once in cold water until the water stays clear; keep it wet.", "Lay it flat between white towels, face up, and press the water out.",
            "Where it still shows, soak it cold with a colour catcher before it ever dries."], "No heat and no drying until it is out: both fix it.", 30,
            "Wash the cloth by hand and cold from now on; the care card says so.", false, Practice),
        new("wrong-letter", "A wrong {one}, or one forgotten", ["{read} before you cut anything.", "Unpick that {one} from behind, stitch by stitch, with the needle's eye.",
            "Rub the holes shut with a fingernail, and stitch it anew."], "Do not pull a thread through: it shreds, and drags its neighbours.", 0,
            "Its lengths are counted as not done.", true, Practice),
        new("cut-hole", "The cloth is cut", ["Stop, and pull at nothing.", "{patch}",
            "Cover it with a small motif or a leaf where the design allows."], "Do not draw it together with one thread: it puckers for good.", 25,
            "Add a motif over it on the bench, or move on with it mended.", false, Practice),
        new("hoop-mark", "The ring has left a mark", ["Lay a damp cloth over it and steam from above, the iron not touching.", "Brush the nap up while it is warm.",
            "Take the ring off every evening from now on."], "Do not press it flat: a shine stays.", 8, "Nothing.", false, Practice),
        new("ink-back", "A mark that was gone came back", ["Wet it again with cold clean water, all of the cloth and not the spot alone.", "Leave it to dry flat, away from heat.",
            "When it stays away for a day, press it."], "No iron and no soap before it is out: heat brings some inks back for good.", 15,
            "Rinsing takes one more evening.", false, Practice),
        new("puckered", "It is too tight and puckers", ["{steam}", "Ease the thread: lift every stitch on the face with the needle's eye, from the middle outward.",
            "What still pulls is unpicked and stitched looser."], "Do not stretch it flat with the iron.", 15, "Shorten long stitches for the rest, and pull each only until it lies.", true, Practice),
        new("drifted", "A {one} has drifted", ["Look at it from two metres: what is not seen from there is no fault.", "Share the error out over those that follow: a little each.",
            "Only where it touches its neighbour is it unpicked."], "Do not move the next one by the whole of it.", 5, "Move what is not stitched yet on the bench; what is stitched stays.", false, Practice),
        new("knot-through", "A knot has pulled through", ["Draw it back to the face with the needle's eye, if it is caught.", "Else fasten its thread behind and make it anew, down one cloth thread beside where it came up.",
            "One wrap more where the cloth is loose."], "Do not go down in the very hole.", 3, "Nothing.", false, Practice),
    ];

    /// <summary>What can happen to this very piece, said of what it is: of letters or of parts, of its cloth and how it is held.</summary>
    public static IReadOnlyList<Mishap> For(Plan plan)
    {
        var words = plan.Elements.Any(e => !e.IsMotif);
        var cloth = plan.Item.Cloth;
        var iron = cloth.MaxIron > Materials.IronLimit.OneDot && plan.Work.Any(o => o.Kind == Operations.OpKind.Press);
        (string Token, string Said)[] said =
        [
            ("{one}", words ? "letter" : "part"),
            ("{read}", words ? "Read the words against the proof" : "Hold the work against the drawing"),
            ("{held}", cloth.Coated ? "held with clips, for pins leave holes in a coating" : "pinned at two of them"),
            ("{steam}", iron ? "Take it off what holds it and steam it from behind: often that is enough." : "Lay it flat overnight under something heavy: often that is enough."),
            ("{patch}", iron ? "Iron a scrap of fine fusible behind it, or weave it shut with thread of the cloth." : "Set a scrap of the same behind it with tiny stitches, or weave it shut with thread of the cloth."),
        ];
        string Of(string text) => said.Aggregate(text, (t, s) => t.Replace(s.Token, s.Said, StringComparison.Ordinal));
        return All.Where(m => m.Id != "hoop-mark" || plan.Hooping.Hoops.Count > 0).Where(m => m.Id != "hoop-mark" || iron).Select(m => m with
        {
            Name = Of(m.Name),
            Now = m.Now.Select(Of).ToArray(),
            Never = Of(m.Never),
            Changes = Of(m.Changes),
        }).ToArray();
    }

    /// <summary>What unpicking back to before a length costs, minutes: as long as stitching it did, by half (from memory).</summary>
    public static double UnpickMinutes(IReadOnlyList<RunTold> runs, int done, int back) =>
        Math.Round(runs.Where(r => r.Run > done - back && r.Run <= done).Sum(r => r.Minutes) * 0.5, 1);

    /// <summary>The sentence on what it costs.</summary>
    public static string Costs(Mishap mishap) => mishap.Minutes > 0 ? $"About {Say.Minutes(mishap.Minutes)}." : "As long as it took, and half of that for unpicking.";
}
