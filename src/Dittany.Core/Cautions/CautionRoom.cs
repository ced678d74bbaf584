using Dittany.Core.Materials;
using Dittany.Core.Telling;

namespace Dittany.Core.Cautions;

/// <summary>What the rules across rooms look at.</summary>
public sealed record CautionFacts(Cloth Cloth, IReadOnlyList<string> ThreadColours, Ink Marker, bool MarksCloth, string MethodId, string Wearer, bool IronUsed);

/// <summary>The usual cautions, each where it arises. They do not replace a maker's instructions, local rules or licensed practice.</summary>
public static class CautionRoom
{
    private static readonly (Func<CautionFacts, bool> When, Func<CautionFacts, Caution> Caution)[] Rules =
    [
        (_ => true, _ => Person(Severity.Note, "Count needles and pins out and in again; keep scissors shut when they lie in your lap.")),
        (f => f.IronUsed, _ => Person(Severity.Note, "Hot iron and steam: keep the cord and children out of reach.")),
        (f => f.ThreadColours.Any(Palette.MayBleed), f => Item(Severity.Caution, $"{string.Join(", ", f.ThreadColours.Where(Palette.MayBleed).Select(Palette.NameOf))} can run: press a damp strand in white kitchen paper for 10 minutes. If it runs, use nothing wet.")),
        (f => f.Cloth.Dark && f.Cloth.Washable, _ => Item(Severity.Note, "Dark cloth can give off colour itself: test a damp corner too.")),
        (f => f.MarksCloth && f.Marker.Id != "none", f => Item(Severity.Caution, $"Try {f.Marker.Name} on a hidden corner of this very cloth, through the same wash; the maker's instructions count.")),
        (f => f.MethodId == "hot-iron", _ => Item(Severity.Caution, "A hot-iron line cannot be undone: read the words on the print in a mirror before it touches the cloth.")),
        (f => f.MarksCloth && f.Marker.Id == "heat-erasable", _ => Item(Severity.Note, "A heat-erased line can come back in freezing cold and leave a pale ghost on dark cloth.")),
        (f => f.Cloth.Washable && f.Cloth.Kind.ShrinkPercent >= 5, f => Item(Severity.Note, $"Unwashed {f.Cloth.Kind.Name} shrinks about {Measures.Say.Number(f.Cloth.Kind.ShrinkPercent)} %: wash it first as it will be washed later, without softener.")),
        (f => f.Wearer == "baby", _ => Person(Severity.Caution, "For a baby: nothing loose or long behind, no beads or buttons, and a soft cover behind the stitches.")),
    ];

    public static IReadOnlyList<Caution> Of(CautionFacts facts) => Rules.Where(r => r.When(facts)).Select(r => r.Caution(facts)).ToArray();

    private static Caution Person(Severity severity, string text) => new(CautionKind.Person, severity, text);

    private static Caution Item(Severity severity, string text) => new(CautionKind.Item, severity, text);
}
