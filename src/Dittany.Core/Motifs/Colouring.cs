using System.Collections.Frozen;

namespace Dittany.Core.Motifs;

/// <summary>
/// What motifs wear by nature, role by role, in ids of our palette: the first one that shows on the cloth is taken. All from memory of the
/// things themselves. Roles that are not named are green where they are stems and leaves, else in the main colour.
/// </summary>
internal static class Colouring
{
    private static readonly FrozenDictionary<string, string> Nothing = FrozenDictionary<string, string>.Empty;

    private static readonly (string Motif, string Wears)[] Rows =
    [
        ("single-leaf", "vein: fir mint"),
        ("clover", "vein: fir mint"),
        ("olive-branch", "petal: moss berry"),
        ("wheat-ear", "petal: sunflower straw; stem: moss"),
        ("pine-tree", "leaf: fir mint; stem: hazel oat"),
        ("feather", "outline: slate ash; vein: slate ash; stem: slate ash"),
        ("daisy", "petal: chalk shell rose; centre: sunflower lemon"),
        ("five-petal-flower", "petal: rose shell; vein: berry rose; centre: sunflower lemon"),
        ("sunflower", "petal: sunflower lemon; centre: hazel; dot: peat"),
        ("bell-spike", "petal: cornflower sky"),
        ("tulip", "petal: poppy rose"),
        ("rosebud", "petal: rose blush; vein: berry blush"),
        ("lavender", "petal: violet lilac"),
        ("poppy", "petal: poppy; vein: cherry rose; centre: fir mint; dot: black chalk"),
        ("snowdrop", "petal: chalk lavender"),
        ("flower-stem", "petal: rose shell; centre: sunflower lemon"),
        ("berry-sprig", "petal: cherry rose"),
        ("cherries", "petal: cherry rose"),
        ("strawberry", "fruit: poppy rose; dot: sunflower straw"),
        ("apple", "outline: poppy rose; stem: hazel oat"),
        ("pear", "outline: moss; stem: hazel oat"),
        ("acorn", "fruit: fox oat; outline: hazel oat; dot: peat oat; stem: hazel oat"),
        ("mushroom", "outline: poppy rose; stalk: oat hazel; dot: chalk straw"),
        ("bird", "outline: cornflower sky; vein: indigo chalk; stem: hazel oat; dot: black chalk"),
        ("butterfly", "petal: orange; stem: peat oat"),
        ("bee", "outline: sunflower; vein: black chalk; petal: sky slate; stem: black chalk; dot: black chalk"),
        ("ladybird", "outline: poppy; head: black chalk; vein: black chalk; stem: black chalk; dot: black chalk"),
        ("fish", "outline: sea mint; vein: indigo chalk; dot: black chalk"),
        ("snail", "body: oat hazel; shell: fox orange; spiral: hazel oat; stem: hazel oat"),
        ("whale", "outline: cornflower sky; vein: indigo chalk; stem: sea sky; dot: black chalk"),
        ("rabbit", "outline: slate ash; inner-ear: blush rose; vein: rose; dot: black chalk"),
        ("hedgehog", "outline: hazel oat; dot: black chalk"),
        ("owl", "outline: hazel oat; disc: cream sunflower; vein: orange; dot: black chalk"),
        ("paw", "outline: hazel oat"),
        ("heart", "outline: poppy rose"),
        ("open-heart", "outline: poppy rose"),
        ("star", "outline: sunflower straw"),
        ("snowflake", "stem: cornflower sky; vein: cornflower sky"),
        ("moon", "outline: sunflower straw"),
        ("sun", "disc: sunflower; petal: orange sunflower"),
        ("cloud", "outline: cornflower sky"),
        ("rainbow", "first-bow: poppy; second-bow: sunflower; third-bow: sea; fourth-bow: violet"),
        ("bow", "outline: rose; knot: berry rose; stem: rose"),
        ("anchor", "ring: indigo sky; outline: indigo sky"),
        ("boat", "outline: indigo sky; petal: poppy rose; stem: hazel oat"),
        ("balloon", "outline: poppy rose; stem: slate ash; vein: blush"),
        ("house", "wall: oat cream; roof: rust orange; door: sea mint; window: sky slate"),
        ("key", "outline: slate ash; ring: slate ash; dot: slate ash"),
        ("crown", "outline: sunflower straw; dot: cherry rose"),
        ("teacup", "outline: cornflower sky; stem: cornflower sky; vein: slate ash"),
        ("tree", "outline: leaf mint; stem: hazel oat"),
        ("needle", "outline: slate ash; stem: poppy rose"),
        ("songbird", "body: cornflower sky; breast: orange; feather: indigo lavender; wing-feather: indigo lavender; wing: cornflower sky; "
            + "beak: sunflower; stem: hazel oat; eye: black chalk"),
        ("striped-bee", "body: sunflower; stripe: black charcoal; head: black charcoal; wing: sky ash; stem: black chalk; eye: chalk"),
        ("prickly-hedgehog", "body: hazel; prickle: peat oat; face: oat hazel; ear: oat cream; nose: black chalk; eye: black chalk; "
            + "foot: oat hazel"),
        ("fox-face", "ear: fox; inner-ear: blush rose; face: fox; cheek: chalk cream oat straw; nose: black charcoal; eye: black chalk"),
        ("eye", "white: chalk cream; iris: cornflower leaf; pupil: black charcoal; spark: chalk cream; lash: black charcoal"),
        ("cheek", "cheek: blush rose; inner-cheek: rose berry"),
        ("sailing-boat", "hull: indigo cornflower; stripe: chalk; mast: hazel oat; sail: poppy rose; jib: sunflower straw; flag: poppy rose; "
            + "wave: sea mint"),
        ("round-emblem", "top: indigo cornflower; bottom: indigo cornflower; band: cream oat straw; stripe: poppy; rim: indigo sky; "
            + "button: sunflower; hole: peat"),
        ("great-sunflower", "back-petal: orange sunflower; petal: sunflower lemon; outer-centre: peat hazel; centre: hazel oat"),
        ("cornflower-stalk", "petal: cornflower sky; inner-petal: violet lilac; bud: moss"),
        ("ox-eye-stalk", "petal: chalk shell rose; centre: sunflower lemon"),
        ("buttercup-stalk", "petal: sunflower lemon; centre: moss; bud: sunflower lemon"),
        ("umbel-stalk", "blossom: chalk lilac violet"),
        ("berry-wreath", "berry: cherry rose"),
    ];

    /// <summary>What a motif wears by role; nothing where it is not named.</summary>
    public static IReadOnlyDictionary<string, string> Of(string motif) => All.GetValueOrDefault(motif, Nothing);

    private static FrozenDictionary<string, FrozenDictionary<string, string>> All { get; } = Rows.ToFrozenDictionary(r => r.Motif,
        r => r.Wears.Split("; ").Select(w => w.Split(": ")).ToFrozenDictionary(w => w[0], w => w[1], StringComparer.Ordinal),
        StringComparer.Ordinal);
}
