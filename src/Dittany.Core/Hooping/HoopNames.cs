using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>How people say how the work is held.</summary>
public static class HoopNames
{
    public static IReadOnlyList<AlsoCalled> Schools { get; } =
    [
        new("hoop", "hoop", "embroidery hoop"),
        new("frame", "snap frame", "square frame", "clip frame", "tube frame"),
        new("in-hand", "in the hand", "in hand", "in my hand", "without a hoop", "no hoop", "hoopless", "without hoop", "held in the hand", "without a frame", "unhooped", "sewing in hand"),
    ];
}
