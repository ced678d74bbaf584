namespace Dittany.Core.Jobs;

/// <summary>How large motifs may be, and are where nobody says.</summary>
internal static class MotifSizes
{
    /// <summary>No motif is larger where nobody says, mm (from memory).</summary>
    internal const double UsualMostMm = 90;

    /// <summary>The most a drawing may be high or wide, mm.</summary>
    internal const double MostMm = 1000;
}
