using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>What all alphabets have in common, and our own hands.</summary>
public static class Alphabets
{
    /// <summary>Height of a capital in units.</summary>
    public const double CapUnits = 100;

    public const double XUnits = 60;

    /// <summary>A straight stroke up to this long is a dot.</summary>
    public const double DotUnits = Stitches.AtPoints.Dots.Share * CapUnits;

    public const double CoarseUnits = 0.5;

    /// <summary>Flattened strokes stay this close to the curve: at 25 mm capitals 0.01 mm.</summary>
    public const double FlattenUnits = 0.04;

    /// <summary>Our own hands, that everybody has.</summary>
    public static IReadOnlyList<IAlphabet> Ours { get; } = [UprightHand.Alphabet, JoinedHand.Alphabet, PlainCapitals.Alphabet];

    /// <summary>What the id of a maker's own alphabet begins with.</summary>
    public const string OwnPrefix = "own-";

    /// <summary>What ends the id of the centre lines of an alphabet of outlines.</summary>
    public const string LineSuffix = "-line";

    public static bool IsOwn(IAlphabet alphabet) => alphabet.Id.StartsWith(OwnPrefix, StringComparison.Ordinal);
}
