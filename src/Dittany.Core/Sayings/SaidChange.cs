using Dittany.Core.Jobs;

namespace Dittany.Core.Sayings;

/// <summary>
/// A change said of a piece: how its job is changed, null where nothing was understood that changes it; what was done, one sentence a
/// thing; and what is asked.
/// </summary>
public sealed record SaidChange(Func<Job, Job>? Edit, IReadOnlyList<string> Did, IReadOnlyList<Question> Asked);
