using Dittany.Core.Measures;

namespace Dittany.Core.Motifs;

/// <summary>What motifs are also called (common speech).</summary>
public static class MotifNames
{
    /// <summary>Parts that are called otherwise on one motif than its drawing names them.</summary>
    public static IReadOnlyList<(string Motif, string Said, string Role)> Parts { get; } =
    [
        ("butterfly", "wing", "petal"), ("bee", "wing", "petal"), ("bird", "eye", "dot"), ("owl", "eye", "dot"), ("fish", "eye", "dot"), ("whale", "eye", "dot"), ("hedgehog", "eye", "dot"), ("rabbit", "eye", "dot"), ("ladybird", "spot", "dot"), ("mushroom", "spot", "dot"), ("strawberry", "seed", "dot"),
        ("berry-sprig", "berry", "petal"), ("cherries", "cherry", "petal"), ("sun", "ray", "petal"), ("mushroom", "cap", "outline"), ("boat", "sail", "petal"), ("bell-spike", "bell", "petal"), ("olive-branch", "olive", "petal"), ("wheat-ear", "grain", "petal"), ("bee", "stripe", "vein"), ("heart", "edge", "outline"),
        ("five-petal-flower", "middle", "centre"), ("daisy", "middle", "centre"), ("sunflower", "middle", "centre"), ("great-sunflower", "middle", "centre"), ("poppy", "middle", "centre"), ("flower-stem", "middle", "centre"),
    ];

    public static IReadOnlyList<AlsoCalled> All { get; } =
    [
        new("leaf-sprig", "sprig", "leafy sprig", "sprig of leaves", "leafy branch"),
        new("fern", "fern leaf", "fern frond", "bracken"),
        new("olive-branch", "olive", "olive sprig", "olive twig"),
        new("single-leaf", "leaf"),
        new("clover", "shamrock", "clover leaf", "four leaf clover"),
        new("wheat-ear", "wheat", "wheat ear", "ear of corn", "ear of grain", "barley"),
        new("pine-tree", "pine", "fir tree", "christmas tree", "conifer"),
        new("daisy", "marguerite"),
        new("five-petal-flower", "flower", "blossom", "small flower", "five petalled flower"),
        new("bell-spike", "bellflower", "bell flower", "foxglove", "bluebell"),
        new("rosebud", "rose", "rose bud"),
        new("lavender", "lavender sprig", "sprig of lavender", "lavender spike"),
        new("flower-stem", "flower stem", "flower on a stem", "stemmed flower"),
        new("berry-sprig", "berries", "sprig of berries", "berry branch", "holly"),
        new("cherries", "cherry", "two cherries"),
        new("bird", "little bird", "birdie"),
        new("bee", "bumblebee", "bumble bee", "honey bee", "honeybee"),
        new("ladybird", "ladybug"),
        new("rabbit", "bunny", "hare", "bunny rabbit"),
        new("mushroom", "toadstool"),
        new("paw", "paw print", "dog paw", "cat paw"),
        new("moon", "crescent", "crescent moon", "half moon"),
        new("bow", "ribbon bow"),
        new("boat", "little boat"),
        new("balloon", "hot air balloon"),
        new("house", "cottage", "little house"),
        new("teacup", "tea cup", "cup of tea", "cup"),
        new("needle", "needle and a thread", "threaded needle"),
        new("songbird", "song bird", "robin", "wren", "finch"),
        new("striped-bee", "stripy bee", "stripey bee"),
        new("fox-face", "fox", "fox head", "fox's face"),
        new("sailing-boat", "sailboat", "sail boat", "sailing ship", "yacht"),
        new("round-emblem", "emblem", "roundel"),
        new("great-sunflower", "big sunflower", "large sunflower"),
        new("cornflower-stalk", "cornflower"),
        new("ox-eye-stalk", "ox eye daisy", "ox eye", "oxeye daisy", "oxeye"),
        new("buttercup-stalk", "buttercup"),
        new("umbel-stalk", "umbel", "cow parsley", "queen anne's lace", "wild carrot"),
        new("round-frame", "circle frame", "round border"),
        new("double-round-frame", "double circle frame", "double ring frame"),
        new("oval-frame", "oval", "oval border"),
        new("diamond-frame", "diamond", "diamond border"),
        new("wreath", "leaf wreath", "leafy wreath", "laurel wreath", "laurel", "garland"),
        new("berry-wreath", "berry garland"),
        new("dotted-ring", "dotted circle", "circle of dots"),
        new("prickly-hedgehog", "spiky hedgehog"),
    ];
}
