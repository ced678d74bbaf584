using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Transfer;

namespace Dittany.Core.Cautions;

/// <summary>What the rules across rooms look at.</summary>
public sealed record CautionFacts(
    Cloth Cloth, IReadOnlyList<string> ThreadColours, Ink Marker, bool MarksCloth, string MethodId, StabiliserSet Stabiliser, Worn Worn,
        bool SeenOutdoors, IReadOnlyList<string> Texts, bool IronUsed, double StitchingHours, bool? WashedFirst = null,
        bool ReadyMade = true, bool BackSeen = false, bool Sewn = true, bool SteamUsed = false);

/// <summary>
/// The usual cautions, each where it arises. They do not replace a maker's instructions, local rules or licensed practice.
/// </summary>
public static class CautionRoom
{
    /// <summary>Hours at the needle from which eyes and back want telling (from memory).</summary>
    private const double LongHours = 2;

    private static readonly (string Name, Station? At, Func<CautionFacts, bool> When, Func<CautionFacts, Caution> Caution,
        string Source)[] Rules =
    [
        ("spelling", Station.Words, f => f.Texts.Count > 0, f =>
            Item(Severity.Note,
            $"Read the words back letter by letter before anything is printed: "
                + $"{string.Join("; ", f.Texts.Select(t => $"“{t.ReplaceLineEndings(" / ")}”"))}. A customer's yes is dated."), "common practice"),
        ("needles", null, f => f.Sewn, _ => Person(Severity.Note,
            "Count needles and pins out and in again; keep scissors shut when they lie in your lap."), "common practice"),
        ("eyes and back", Station.Stitches, f => f.StitchingHours >= LongHours, _ =>
            Person(Severity.Note, "Look up every few minutes, good light over the shoulder, and stop before hands or eyes tire."),
            "common practice"),
        ("iron", Station.Finish, f => f.IronUsed, f => Person(Severity.Note,
            $"Hot iron{(f.SteamUsed ? " and steam" : string.Empty)}: keep the cord and children out of reach, a board or mat under the work."), "common practice"),
        ("the back is seen", Station.Stitches, f => f.BackSeen, _ => Item(Severity.Caution,
            "The back of the work shows on the outside of the item: no knots, no jumps, ends run in short and flat, and a thread near the "
                + "cloth's own colour shows least. Turn it over now and then and look."), "common practice"),
        ("bleeding", Station.Thread, f => f.ThreadColours.Any(Palette.MayBleed), f =>
            Item(Severity.Caution,
            $"{Measures.Say.Upper(Measures.Say.List(f.ThreadColours.Where(Palette.MayBleed).Select(Palette.NameOf).Distinct(StringComparer.Ordinal).ToArray()))} can run: press a damp strand in white kitchen paper for 10 minutes. If it runs, use nothing wet. If it has run: keep it wet, cold running water, never dry or iron it."), "common practice"),
        ("dark cloth gives off colour", Station.Item, f => f.Cloth.Dark && f.Cloth.Washable, _ =>
            Item(Severity.Note, "Dark cloth can give off colour itself: press a damp white cloth on the inside of a hem, or on an offcut."), "common practice"),
        ("test the ink", Station.Transfer, f => f.MarksCloth && f.Marker.Id != "none", f =>
            Item(Severity.Caution,
            $"Try {f.Marker.Name} on a scrap or an offcut of the same cloth, through the same wash; the maker's instructions count."),
            "common practice"),
        ("no iron before the marks are out", Station.Finish, f => f.MarksCloth && f.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater,
            _ => Item(Severity.Caution, "No iron, steam or hot car until every mark and all film is out: heat sets the line for good."),
            "common practice"),
        ("cannot be undone", Station.Transfer, f => f.MethodId == "hot-iron", _ =>
            Item(Severity.Caution,
            "A hot-iron line cannot be undone: read the words on the print in a mirror before it touches the cloth."), "common practice"),
        ("frost", Station.Transfer, f => f.MarksCloth && f.Marker.Id == "heat-erasable", _ =>
            Item(Severity.Note, "A heat-erased line can come back in freezing cold and leave a pale ghost on dark cloth."),
            "common practice"),
        ("shrinking", Station.Item, f => f.WashedFirst ?? Operations.Beforehand.Washes(f.Cloth), f =>
            Item(Severity.Note,
            $"Unwashed {f.Cloth.Kind.Name} shrinks about {Measures.Say.Number(f.Cloth.ShrinkPercent)} %, so it is washed first, as it "
                + $"will be washed later.{(f.ReadyMade ? " Ask before washing a present with tags." : string.Empty)}"), "common practice"),
        ("coating leaks", Station.Item, f => f.Cloth.Coated, _ =>
            Item(Severity.Caution,
            "A coating leaks at every needle hole: nothing that must keep water out is stitched, and a wrong hole stays. Seal the back by "
                + "the coating maker's instructions."), "common practice"),
        ("a scrap first", Station.Item, f => !f.Cloth.Kind.Soakable || f.Cloth.Kind.Structure is Structure.Velvet or Structure.Felt, f =>
            Item(Severity.Caution,
            $"{Measures.Say.Upper(f.Cloth.Kind.Name)} bears no soaking unless a scrap of it survives: try water, heat and pen on a scrap "
                + $"or an offcut first."), "common practice"),
        ("kept for long", Station.Finish, f => f.Worn.Lasts == "keepsake" && f.Worn.Washed is ("never" or "by-hand"), _ =>
            Item(Severity.Note,
            "Meant to be kept: acid-free tissue or board behind it, out of the sun, and no adhesive left in the cloth."),
            "common practice"),
        ("small parts", Station.Item, f => f.Worn.Wearer == "child", _ =>
            Person(Severity.Note,
            "What is sewn on must not come off: pull hard at every bead or button, and leave them off anything for children under three."),
            "16 CFR 1501, EN 71-1 for small parts"),
        ("for a baby", Station.Finish, f => f.Worn.Baby, _ =>
            Person(Severity.Caution,
            "For a baby or a child under three: nothing loose or long behind, no beads, buttons or anything that could come off and be "
                + "swallowed, and a soft cover behind the stitches. Selling things for children has legal duties of its own."), "16 CFR 1501, EN 71-1 for small parts"),
        ("a child's full name", Station.Words, FullNameOutside, _ =>
            Person(Severity.Caution,
            "A child's full name on the outside tells it to every stranger: put it inside, or take the first name or an initial."),
            "common practice"),
    ];

    public static IReadOnlyList<Caution> Of(CautionFacts facts) =>
        Rules.Where(r => r.When(facts)).Select(r => r.Caution(facts)
        with
        {
            Id = r.Name.Replace(' ', '-').Replace("’", string.Empty, StringComparison.Ordinal).Replace("'", string.Empty,
        StringComparison.Ordinal),
            At = r.At
        }).ToArray();

    /// <summary>Two words or more, each with a capital, on something a child carries or wears outdoors.</summary>
    private static bool FullNameOutside(CautionFacts f) =>
        f.SeenOutdoors && f.Worn.Wearer is "baby" or "child" &&
        f.Texts.Any(t => t.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries) is { Length: >= 2 } words
            && words.All(w => char.IsUpper(w[0])));

    private static Caution Person(Severity severity, string text) => new(string.Empty, CautionKind.Person, severity, text);

    private static Caution Item(Severity severity, string text) => new(string.Empty, CautionKind.Item, severity, text);
}
