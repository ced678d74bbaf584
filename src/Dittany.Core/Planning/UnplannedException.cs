using Dittany.Core.Jobs;

namespace Dittany.Core.Planning;

/// <summary>
/// A job that makes sense and of which no plan comes: it is more than one plan holds, by stitches or by reckoning; or making the plan
/// failed by a fault of ours, <paramref name="cause"/>, which is for the log. Told as a fault of the job, for it is cured there.
/// </summary>
public sealed class UnplannedException(ValidationError fault, Exception? cause = null) : Exception(fault.Detail, cause)
{
    public ValidationError Fault => fault;

    /// <summary>Whether Dittany is at fault, not the job.</summary>
    public bool Ours => InnerException is not null;

    /// <summary>A fault of ours: she is told only that there is one.</summary>
    public static UnplannedException By(Exception cause) => new(new ValidationError("#",
        "That cannot be planned: something in Dittany is at fault, and it stands in its log.",
        "Take another stitch, thread, size or place, and keep the job to report it."), cause);

    /// <summary>Throws where there are more stitches than <see cref="JobLimits.MostStitches"/>.</summary>
    internal static void ThrowIfOver(long stitches)
    {
        if (stitches > JobLimits.MostStitches)
        {
            throw new UnplannedException(JobCheck.TooManyStitches(stitches));
        }
    }
}
