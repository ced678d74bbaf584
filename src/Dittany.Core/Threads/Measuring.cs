using Dittany.Core.Materials;
using Dittany.Core.Stitches;

namespace Dittany.Core.Threads;

/// <summary>What a measurement by wraps came to, mm: the width of one, what was taken so far, and what is now.</summary>
public sealed record Wrapped(double WidthMm, double WasMm, double NowMm);

/// <summary>Two measurements of a minute each that make every plan hers: how wide a thread lies, and what her stitching takes.</summary>
public static class Measuring
{
    /// <summary>
    /// How wide one of a thread lies, mm, where so many of it wrapped round a ruler without gaps come to so many turns a centimetre: the
    /// turn is as wide as the thread, and several lie wider by n^0.6. Wrapped threads are pressed as little as stitched ones.
    /// </summary>
    public static double WidthMm(ThreadKind kind, int ply, double wrapsPerCm) =>
        Math.Round(10 / wrapsPerCm / (kind with { Scale = 1 }).Lies(ply) * kind.WidthMm, 3);

    /// <summary>
    /// A measurement by wraps: the width of one, which is kept, and how wide so many lie by it and by <paramref name="kind"/> as it was so
    /// far; mm.
    /// </summary>
    public static Wrapped Wrap(ThreadKind kind, int ply, double wrapsPerCm)
    {
        var width = WidthMm(kind, ply, wrapsPerCm);
        return new Wrapped(width, kind.Lies(ply), (kind with { Scale = width / kind.WidthMm }).Lies(ply));
    }

    /// <summary>Stitches of the test: ten backstitches of this length, mm, in a straight line.</summary>
    public const int TestStitches = 10;

    public const double TestStitchMm = 3;

    /// <summary>
    /// What ten backstitches of 3 mm take by geometry, mm: each 3 forward and, between them, 6 behind, and the cloth at every pass (n
    /// stitches pass it 2n times). <paramref name="thicknessMm"/> is the cloth's.
    /// </summary>
    public static double ReckonedMm(double thicknessMm) => (TestStitches * TestStitchMm) + ((TestStitches - 1) * 2 * TestStitchMm)
        + (2 * TestStitches * thicknessMm);

    /// <summary>Thread that went into ten stitches over what they are reckoned to take.</summary>
    public static double TakeUp(double beforeMm, double leftMm, double thicknessMm) =>
        Math.Round((beforeMm - leftMm) / ReckonedMm(thicknessMm), 3);
}
