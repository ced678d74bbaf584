namespace Dittany.Core.Materials;

/// <summary>Eyes that lack one of three kinds of cones: for red, for green or for blue.</summary>
public enum Eyes
{
    WithoutRed,
    WithoutGreen,
    WithoutBlue,
}

/// <summary>
/// What a colour looks like to eyes that lack one kind of cones, after Machado, Oliveira and Fernandes (2009), "A
/// Physiologically-based Model for Simulation of Color Vision Deficiency", severity 1, in linear sRGB.
/// </summary>
public static class ColourVision
{
    private static readonly (Eyes Eyes, double[] Matrix)[] Table =
    [
        (Eyes.WithoutRed, [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998]),
        (Eyes.WithoutGreen, [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.011820, 0.042940, 0.968881]),
        (Eyes.WithoutBlue, [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.303900]),
    ];

    /// <summary>The two that are common: together about one man in twelve (common practice in design for reading).</summary>
    public static IReadOnlyList<Eyes> Common { get; } = [Eyes.WithoutRed, Eyes.WithoutGreen];

    /// <summary>The colour as such eyes see it.</summary>
    public static Colour Seen(Colour colour, Eyes eyes)
    {
        var m = Table.First(t => t.Eyes == eyes).Matrix;
        var (r, g, b) = (Colour.Linear(colour.R), Colour.Linear(colour.G), Colour.Linear(colour.B));
        return new Colour(Byte((m[0] * r) + (m[1] * g) + (m[2] * b)), Byte((m[3] * r) + (m[4] * g) + (m[5] * b)),
            Byte((m[6] * r) + (m[7] * g) + (m[8] * b)));
    }

    /// <summary>How far apart two colours look to the eyes that tell them apart least, of the two common kinds, CIEDE2000.</summary>
    public static double LeastApart(Colour one, Colour other) => Common.Min(eyes =>
        ColourDifference.Ciede2000(Seen(one, eyes).ToLab(), Seen(other, eyes).ToLab()));

    private static byte Byte(double linear)
    {
        var c = Math.Clamp(linear, 0, 1);
        return (byte)Math.Round(255 * (c <= 0.0031308 ? 12.92 * c : (1.055 * Math.Pow(c, 1 / 2.4)) - 0.055));
    }
}
