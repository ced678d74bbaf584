using Dittany.Core.Measures;

namespace Dittany.Core.StitchBook;

/// <summary>What stitches and fills are also called, without the word “stitch” (common names of the trade).</summary>
public static class StitchNames
{
    /// <summary>Stitches that draw lines.</summary>
    public static IReadOnlyList<AlsoCalled> Lines { get; } =
    [
        new("backstitch", "back", "back stitch"),
        new("whipped-backstitch", "whipped back", "whipped back stitch"),
        new("laced-backstitch", "laced back", "laced back stitch", "threaded backstitch", "threaded back"),
        new("running", "double running", "holbein"),
        new("laced-running", "threaded running"),
        new("chain", "loop", "tambour chain"),
        new("blanket", "buttonhole", "loose buttonhole"),
        new("double-blanket", "double buttonhole"),
        new("knotted-stem", "portuguese knotted stem", "portuguese stem"),
        new("linked-chain-line", "linked chain line", "cable chain"),
        new("couching", "laid and tied", "couched", "couched thread"),
        new("coral", "coral knot"),
        new("rope-line", "rope line"),
        new("brick-line", "brick line"),
        new("split-back", "split back", "backward split"),
        new("outline", "crewel stem"),
        new("cross", "cross stitch", "crosses"),
    ];

    /// <summary>Stitches that fill areas.</summary>
    public static IReadOnlyList<AlsoCalled> Fills { get; } =
    [
        new("satin", "flat"),
        new("bordered-satin", "bordered satin", "satin with a border"),
        new("padded-satin", "padded satin", "raised satin"),
        new("turning-satin", "turning satin", "satin that turns"),
        new("rope", "rope"),
        new("tapering-stem", "tapering stem", "stem that tapers"),
        new("graded-straights", "graded straight", "graded straights"),
        new("detached-chain", "lazy daisy", "lazy daisies", "detached chain"),
        new("long-and-short", "long and short", "needle painting", "thread painting", "shading", "soft shading"),
        new("directional-straight", "directional straight", "straights along the flow"),
        new("chain-rows", "chain rows", "rows of chain", "chain filling"),
        new("linked-chain", "linked chain"),
        new("blanket-rows", "rows of blanket", "blanket rows", "buttonhole rows"),
        new("double-blanket-rows", "double rows of blanket", "double blanket rows"),
        new("couched-rows", "rows of couching", "couched filling", "couched rows"),
        new("weaving", "woven filling", "darning", "basket filling"),
        new("seed", "seeding", "rice", "speckling"),
        new("french-knot", "french knot", "french knots"),
        new("colonial-knot", "colonial knot", "colonial knots", "candlewick knot", "candlewicking"),
        new("eyelet", "eyelet", "eyelets"),
        new("lattice", "laid lattice", "laid work", "trellis", "lattice work"),
    ];
}
