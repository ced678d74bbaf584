namespace Dittany.Core.Jobs;

/// <summary>How far a trial may bring what must stay open from the usual.</summary>
public static class TrialShares
{
    /// <summary>
    /// Trials do not bring the limit under or over these shares of the usual: beyond it something else went wrong (from memory).
    /// </summary>
    public const double LeastShare = 0.6;

    public const double MostShare = 1.6;
}
