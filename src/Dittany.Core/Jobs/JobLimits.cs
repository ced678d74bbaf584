namespace Dittany.Core.Jobs;

/// <summary>The most a job may hold.</summary>
public static class JobLimits
{
    public const int MostElements = 60;
    public const int MostLetters = 200;
    public const int MostRows = 6;

    /// <summary>Words may be wished this wide, mm: from two letters of the smallest to across the largest cloth there is.</summary>
    public const double LeastWidthMm = 5;

    public const double MostWidthMm = 2000;
    public const int MostTitle = 200;

    /// <summary>
    /// Marks on one letter: no writing in use sets more (pointed Hebrew four, Vietnamese two); stacks of hundreds are a jest that no thread
    /// follows.
    /// </summary>
    public const int MostMarks = 8;

    public const int MostStitches = 200_000;

    /// <summary>More lengths of thread than any piece takes.</summary>
    public const int MostRuns = 100_000;
}
