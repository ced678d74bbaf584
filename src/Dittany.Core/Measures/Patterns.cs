namespace Dittany.Core.Measures;

/// <summary>What holds for every pattern that is looked for in written words.</summary>
public static class Patterns
{
    /// <summary>
    /// The longest a pattern may be looked for, in ms by the clock. What is read is bounded before (5 000 letters of a saying take 30 ms),
    /// so this ends nothing but a mistake; it stands far above a machine that waits for its disk for some seconds, which is no mistake.
    /// </summary>
    public const int LongestMs = 60_000;
}
