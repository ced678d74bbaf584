namespace Dittany.Core.Sayings;

/// <summary>Small words by what they do.</summary>
internal static class SmallWords
{
    public static IReadOnlyList<string> Articles { get; } = ["a", "an", "the", "my", "her", "his", "our", "their", "this", "that", "your", "its", "some", "another", "one", "these", "those"];

    public static IReadOnlyList<string> On { get; } = ["on", "onto", "upon"];

    /// <summary>What stands before a wish.</summary>
    public static IReadOnlyList<string> Ways { get; } = ["in", "with", "using", "by", "on", "as", "through", "over", "at", "from", "of", "all", "and"];

    /// <summary>What joins two things that are put on, and how the second then stands to the first.</summary>
    public static IReadOnlyList<(string[] Keys, string Relation)> Links { get; } =
    [
        (["and", "a"], "and-a"), (["on", "top", "of"], "above"), (["next", "to"], "beside"), (["in", "front", "of"], "before"), (["with"], "with"), (["and"], "and"), (["plus"], "and"), (["&"], "and"), (["+"], "and"), (["then"], "and"),
        (["inside"], "in"), (["within"], "in"), (["in"], "in"), (["round"], "around"), (["around"], "around"), (["encircling"], "around"), (["surrounding"], "around"), (["surrounded", "by"], "ringed"), (["framed", "by"], "ringed"), (["encircled", "by"], "ringed"),
        (["above"], "above"), (["over"], "above"), (["below"], "below"), (["under"], "below"), (["underneath"], "below"), (["beneath"], "below"), (["before"], "before"), (["after"], "after"),
        (["beside"], "beside"), (["by"], "beside"), (["between"], "between"),
    ];

    /// <summary>What says, behind two things, how they stand to each other.</summary>
    public static IReadOnlyList<(string[] Keys, string Relation)> Behind { get; } = [.. from inside in new[] { "in", "inside", "within" }
        from what in new[] { "it", "the middle", "the centre", "the center", "its middle", "its centre", "the middle of it", "the centre of it", "the wreath", "the frame", "the ring" }
        select ((string[])[inside, .. what.Split(' ')], "in-it"), (["inside"], "in-it"),
        (["around", "it"], "around-it"), (["round", "it"], "around-it"), (["above", "it"], "above-it"), (["over", "it"], "above-it"), (["on", "top"], "above-it"), (["below", "it"], "below-it"), (["under", "it"], "below-it"),
        (["underneath"], "below-it"), (["underneath", "it"], "below-it"), (["beneath", "it"], "below-it"), (["below"], "below-it"), (["above"], "above-it"), (["before", "it"], "before-it"), (["after", "it"], "after-it"), (["between"], "between-it"), (["in", "between"], "between-it"),
        (["beside", "it"], "after-it"), (["next", "to", "it"], "after-it")];

    /// <summary>Behind these what is to be stitched stands.</summary>
    public static IReadOnlyList<string[]> Introducing { get; } = [["that", "says"], ["which", "says"], ["to", "say"], ["saying"], ["says"], ["reading"], ["reads"], ["the", "word"], ["the", "words"], ["the", "name"], ["the", "text"], ["the", "initial"], ["the", "initials"], ["the", "letter"],
        ["the", "letters"], ["word"], ["words"], ["name"], ["text"], ["initial"], ["initials"], ["letter"], ["letters"], ["named"], ["called"], ["lettering"], ["date"], ["the", "date"], ["year"], ["the", "year"]];

    /// <summary>Nothing is lettered.</summary>
    public static IReadOnlyList<string[]> NoWords { get; } = [.. from no in new[] { "no", "without", "without a", "without any", "not a" }
        from what in new[] { "name", "names", "words", "word", "text", "lettering", "letters", "initials", "writing", "initial" } select (string[])[.. no.Split(' '), what]];

    /// <summary>Words of asking and politeness.</summary>
    public static IReadOnlyList<string> Asking { get; } =
    [
        "could", "can", "would", "will", "shall", "you", "i", "we", "i'd", "i'll", "i'm", "we'd", "we'll", "let's", "lets", "please", "pls", "thanks", "thank", "hi", "hello", "hey", "dear", "do", "make", "making", "put", "place", "stitch", "stitching", "sew", "embroider", "embroidering",
        "write", "add", "adding", "have", "has", "having", "want", "wants", "wanted", "need", "needs", "like", "likes", "get", "give", "just", "maybe", "perhaps", "only", "simply", "also", "me", "us", "is", "are", "was", "should", "must", "might", "some", "something", "thing",
        "personalise", "personalize", "customise", "customize", "decorate", "decorated", "going", "think", "thinking", "there", "here", "so", "ok", "okay", "too", "then", "and", "with", "name", "word", "words", "text", "initial", "initials", "letter", "letters", "saying", "says", "say", "reading", "reads",
        "named", "called", "lettering", "design", "item", "colour", "color", "motif", "motifs", "picture", "pattern", "embroidery", "needlework", "idea", "piece", "to", "it", "them", "a", "an", "the", "my", "her", "his", "our", "their", "this", "that", "your", "its", "one", "who", "which", "how", "about", "what", "goes",
        "really", "very", "rather", "quite", "planning", "plan", "worked", "for", "of", "in", "on", "at", "by", "from", "as", "using", "no", "not", "both", "all", "each", "every", "if", "possible", "try", "something",
    ];

    /// <summary>Of these a run of words to stitch rarely begins or ends.</summary>
    public static IReadOnlyList<string> Joining { get; } = ["a", "an", "the", "of", "in", "on", "at", "by", "for", "from", "with", "and", "or", "to", "as", "is", "are", "your", "my", "our", "his", "her", "their", "its", "&", "+", ",", "into", "onto", "but", "than", "that", "be", "so", "you", "we", "me", "us", "it", "i", "no", "not", "this", "all", "every", "will"];

    /// <summary>Words that say what kind of thing a wish is, and nothing more.</summary>
    public static string[] Nouns { get; } = ["stitch", "stitches", "stitching", "thread", "threads", "cotton", "floss", "letters", "lettering", "letter", "style", "font", "hand", "writing", "script", "type", "typeface", "colour", "color", "work", "capitals", "pen", "transfer", "method", "paper", "backing", "fill", "filling", "filled", "arrangement", "shape"];

    public static IReadOnlyList<string> Kin { get; } = ["mum", "mom", "mummy", "mother", "dad", "daddy", "father", "grandma", "grandpa", "granny", "gran", "nan", "nana", "grandad", "granddad", "auntie", "aunt", "uncle", "sister", "brother", "daughter", "son", "baby", "niece", "nephew", "cousin", "friend", "teacher", "neighbour", "neighbor", "wife", "husband", "godchild", "godmother", "oma", "opa"];

    public static IEnumerable<string> All => Articles.Concat(Asking).Concat(Joining).Concat(Ways).Concat(On).Concat(Links.SelectMany(l =>
        l.Keys)).Concat(Behind.SelectMany(b => b.Keys))
        .Concat(NoWords.SelectMany(n => n)).Concat(Introducing.SelectMany(n => n)).Concat(Nouns).Concat(Kin).Concat(["strand", "strands", "ply", "line", "lines", "row", "rows", "wide", "high", "tall", "across", "long", "broad", "pair", "few", "lots", "several", "size", "sized", "square", "petals"]);
}
