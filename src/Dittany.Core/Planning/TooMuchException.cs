using System.Globalization;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>
/// A job that makes sense and is more than one plan holds: more stitches, or more reckoning. Told as a fault of the job, for it is cured
/// there.
/// </summary>
public sealed class TooMuchException(JobFault fault) : Exception(fault.Detail)
{
    public JobFault Fault => fault;

    /// <summary>Throws where there are more stitches than <see cref="JobCheck.MostStitches"/>.</summary>
    internal static void ThrowIfOver(long stitches)
    {
        if (stitches > JobCheck.MostStitches)
        {
            throw new TooMuchException(JobCheck.TooManyStitches(stitches));
        }
    }
}
