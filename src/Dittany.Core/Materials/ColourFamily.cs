namespace Dittany.Core.Materials;

/// <summary>What a colour is called by one plain word, as somebody would who remembers it: the green of a bag.</summary>
public static class ColourFamily
{
    /// <summary>
    /// Under this chroma a colour is none, only light or dark (from memory); under <see cref="PaleChroma"/> it is, where it is light.
    /// </summary>
    private const double GreyChroma = 10;

    private const double PaleChroma = 18;

    /// <summary>
    /// Families by the hue angle of CIELAB they begin at, degrees, with the lightness between which they hold (from memory).
    /// </summary>
    private static readonly (double FromHue, double LeastL, double MostL, string Name)[] Hues =
    [
        (0, 55, 101, "pink"), (0, 0, 55, "red"), (30, 0, 75, "red"), (30, 75, 101, "pink"), (45, 55, 101, "orange"), (45, 0, 55, "brown"),
        (76, 60, 101, "yellow"), (76, 0, 60, "brown"), (104, 0, 101, "green"), (195, 0, 101, "blue"), (308, 0, 101, "violet"), (335, 50, 101, "pink"),
        (335, 0, 50, "red"),
    ];

    public static string Of(Colour colour)
    {
        var lab = colour.ToLab();
        var chroma = Math.Sqrt((lab.A * lab.A) + (lab.B * lab.B));
        if (chroma < (lab.L > 85 ? PaleChroma : GreyChroma))
        {
            return lab.L > 88 ? "white" : lab.L < 20 ? "black" : "grey";
        }

        var hue = ((Math.Atan2(lab.B, lab.A) * 180 / Math.PI) + 360) % 360;
        return Hues.Last(h => hue >= h.FromHue && lab.L >= h.LeastL && lab.L < h.MostL).Name;
    }
}
