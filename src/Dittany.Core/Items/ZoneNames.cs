namespace Dittany.Core.Items;

/// <summary>Words for parts of items that mean the same as a word in the name of a zone.</summary>
public static class ZoneNames
{
    public static IReadOnlyList<(string Said, string Means)> Same { get; } =
    [
        ("center", "middle"), ("centre", "middle"), ("belly", "tummy"), ("breast", "chest"), ("bottom", "lower"), ("top", "upper"), ("nape", "neck"), ("collar", "neck"),
        ("border", "band"), ("trim", "band"), ("brim", "front"), ("seat", "back"), ("hem", "edge"), ("rim", "edge"), ("tips", "point"), ("tip", "point"), ("front", "middle of the chest"), ("front", "panel"), ("front", "middle"), ("front", "chest"),
        ("front", "bib"), ("torso", "bodice"), ("waist", "bodice"), ("chin", "mouth"), ("lips", "mouth"), ("eyes", "eye"), ("cheeks", "cheek"), ("flap", "panel"), ("wrist", "cuff"), ("shoulder", "yoke"), ("turn up", "cuff"), ("arm", "sleeve"),
    ];
}
