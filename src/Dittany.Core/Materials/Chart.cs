namespace Dittany.Core.Materials;

/// <summary>A colour under a plain name.</summary>
public sealed record NamedColour(string Name, string Hex);

/// <summary>
/// Our own chart of colours: the threads that are offered first, and more between them, so spread that no two are nearer than the eye can
/// tell side by side (CIEDE2000 of 3 and more). Laid out by hue, lightness and chroma; not any maker's range.
/// </summary>
public static class Chart
{
    private static readonly (string Name, string Hex)[] More =
    [
        ("dove grey", "#adb1b4"), ("pewter", "#878c90"), ("lead grey", "#676b6f"), ("soot", "#2f3033"), ("camel", "#b3906a"),
        ("cocoa", "#6a4f40"), ("chestnut", "#8a4f3a"), ("mushroom", "#ad9e92"), ("pale rose", "#fbdee5"), ("light rose", "#fbb7c8"),
        ("clear rose", "#ef85a5"), ("bright rose", "#f93a87"), ("deep rose", "#a94165"), ("dark rose", "#652e3f"),
        ("dusty rose", "#ae7f8b"), ("misty rose", "#cbabb3"), ("light coral", "#fdb8b7"), ("clear coral", "#f2878a"),
        ("bright coral", "#f9425c"), ("deep coral", "#aa444b"), ("dark coral", "#662f32"), ("dusty coral", "#af7f7f"),
        ("misty coral", "#cdabab"), ("pale brick", "#fbdfd9"), ("light brick", "#fabaab"), ("clear brick", "#ed8c77"),
        ("bright brick", "#f0533b"), ("deep brick", "#a54a39"), ("dark brick", "#643227"), ("dusty brick", "#ae8177"),
        ("misty brick", "#ccaca5"), ("pale orange", "#f9e1d4"), ("light orange", "#f4bea1"), ("clear orange", "#e29366"),
        ("bright orange", "#dd6614"), ("deep orange", "#9a5227"), ("dark orange", "#5e361e"), ("dusty orange", "#a9846f"),
        ("misty orange", "#c9aea0"), ("light apricot", "#ebc29a"), ("clear apricot", "#d59a5b"), ("bright apricot", "#c47700"),
        ("deep apricot", "#8e5a1a"), ("dark apricot", "#573a18"), ("dusty apricot", "#a3866b"), ("misty apricot", "#c4b09d"),
        ("pale honey", "#f0e4d0"), ("light honey", "#e1c697"), ("clear honey", "#c5a155"), ("bright honey", "#ad8200"),
        ("deep honey", "#806111"), ("dark honey", "#4f3d15"), ("dusty honey", "#9c8969"), ("misty honey", "#bfb29c"),
        ("light straw", "#d5ca97"), ("clear straw", "#b4a755"), ("bright straw", "#968b00"), ("deep straw", "#706710"),
        ("dark straw", "#464015"), ("dusty straw", "#948c69"), ("pale lime", "#e6e7d2"), ("light lime", "#c8cd9a"),
        ("clear lime", "#a1ac5a"), ("bright lime", "#7c9200"), ("deep lime", "#5e6c17"), ("dark lime", "#3d4318"),
        ("dusty lime", "#8b8e6b"), ("misty lime", "#b3b59d"), ("pale apple", "#dfe9d4"), ("light apple", "#b9d1a1"),
        ("clear apple", "#89b265"), ("bright apple", "#4d9b01"), ("deep apple", "#477025"), ("dark apple", "#30461e"),
        ("dusty apple", "#80916f"), ("misty apple", "#acb7a0"), ("light leaf", "#a8d4ab"), ("clear leaf", "#6db677"),
        ("bright leaf", "#019e40"), ("deep leaf", "#267438"), ("dark leaf", "#214827"), ("dusty leaf", "#759377"),
        ("misty leaf", "#a4b9a5"), ("pale jade", "#d2ebde"), ("light jade", "#99d6b9"), ("clear jade", "#4cb98c"),
        ("bright jade", "#059c6d"), ("deep jade", "#007450"), ("dark jade", "#094932"), ("dusty jade", "#6a9480"),
        ("pale lagoon", "#cdece6"), ("light lagoon", "#8ad7ca"), ("clear lagoon", "#02baa7"), ("bright lagoon", "#079a8a"),
        ("deep lagoon", "#017366"), ("dark lagoon", "#004940"), ("dusty lagoon", "#60958c"), ("misty lagoon", "#98bab4"),
        ("pale lake", "#cbebef"), ("light lake", "#80d7e0"), ("clear lake", "#09b7c4"), ("bright lake", "#0897a2"),
        ("deep lake", "#017179"), ("dark lake", "#00474d"), ("dusty lake", "#59959b"), ("misty lake", "#95babe"),
        ("faint sky", "#cfeaf6"), ("light sky", "#89d3f2"), ("clear sky", "#08b4df"), ("bright sky", "#0195b9"), ("deep sky", "#006f8b"),
        ("dark sky", "#004659"), ("dusty sky", "#5f93a7"), ("misty sky", "#99b8c6"), ("pale cornflower", "#d6e7fa"),
        ("light cornflower", "#9dcffa"), ("clear cornflower", "#3faef3"), ("bright cornflower", "#0091d2"),
        ("deep cornflower", "#036c9d"), ("dark cornflower", "#004466"), ("dusty cornflower", "#6d8fad"), ("misty cornflower", "#a1b6ca"),
        ("pale iris", "#dfe5fa"), ("light iris", "#b6c9fb"), ("clear iris", "#7ea5f4"), ("bright iris", "#0089fb"),
        ("deep iris", "#2d66b1"), ("dusty iris", "#7e8bae"), ("misty iris", "#abb3ca"), ("pale violet", "#e8e2f7"),
        ("light violet", "#cfc2f4"), ("clear violet", "#ad9ae9"), ("bright violet", "#8a75f9"), ("deep violet", "#695aa6"),
        ("dark violet", "#433a63"), ("dusty violet", "#9086a9"), ("misty violet", "#b7b0c7"), ("pale orchid", "#f0e0f2"),
        ("light orchid", "#e3bde9"), ("clear orchid", "#cd90d7"), ("bright orchid", "#c55eda"), ("deep orchid", "#8a4f95"),
        ("dark orchid", "#543459"), ("dusty orchid", "#9d83a1"), ("misty orchid", "#c0aec2"), ("light raspberry", "#f4b8d7"),
        ("clear raspberry", "#e688bb"), ("bright raspberry", "#ec44ac"), ("deep raspberry", "#a1447a"), ("dark raspberry", "#612f4b"),
        ("dusty raspberry", "#a98095"),
    ];

    /// <summary>Every colour of the chart, those offered first before the others.</summary>
    public static IReadOnlyList<NamedColour> All { get; } =
        [.. Palette.Colours.Select(c => new NamedColour(c.Name, c.Hex)), .. More.Select(m => new NamedColour(m.Name, m.Hex))];

    /// <summary>The chart as it is looked at: greys first, then round the hues from red on, each from light to dark.</summary>
    public static IReadOnlyList<NamedColour> ByHue { get; } = All.Select(c => (Colour: c, Lab: Colour.Parse(c.Hex).ToLab()))
        .OrderBy(c => Family(c.Lab)).ThenByDescending(c => c.Lab.L).Select(c => c.Colour).ToArray();

    /// <summary>Under this chroma a colour is taken for a grey (from memory).</summary>
    private const double GreyBelowChroma = 8;

    private static int Family(Lab lab) => Math.Sqrt((lab.A * lab.A) + (lab.B * lab.B)) < GreyBelowChroma ? -1
        : (int)(((Math.Atan2(lab.B, lab.A) * 180 / Math.PI) + 360 + 12) % 360 / 24);

    /// <summary>Those of a list that the eye takes a colour for first, nearest first, with how far off each is (CIEDE2000).</summary>
    public static IReadOnlyList<(T Colour, double Off)> Nearest<T>(string hex, IEnumerable<T> among, Func<T, string> hexOf, int count)
    {
        var lab = Colour.Parse(hex).ToLab();
        return among.Select(c => (Colour: c, Off: ColourDifference.Ciede2000(lab, Colour.Parse(hexOf(c)).ToLab()))).OrderBy(c => c.Off)
            .Take(count).ToArray();
    }

    /// <summary>How far off a colour is, as it is said: by differences that are just seen (common practice in colour matching).</summary>
    public static string Told(double off) => off switch
    {
        < 1 => "the eye cannot tell them apart",
        < 2.5 => "side by side a good eye can tell them apart",
        < 6 => "a shade off, and seen so side by side",
        < 12 => "another shade, though of the same colour",
        _ => "another colour",
    };
}
