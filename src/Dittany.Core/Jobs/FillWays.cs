using Dittany.Core.Decisions;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Jobs;

/// <summary>What areas of an element may be filled with, as a habit and as a choice.</summary>
public static class FillWays
{
    /// <summary>Nothing is filled.</summary>
    public const string None = "none";

    /// <summary>Thick letters and drawings that are made to be filled are filled, others worked along their outline.</summary>
    public const string AsDrawn = "as-drawn";

    /// <summary>Each part is filled with what suits it.</summary>
    public const string ByPart = "by-part";

    /// <summary>What may be chosen for a whole element.</summary>
    public static IReadOnlyList<Choice> Choices { get; } = [new(None, "Nothing is filled"), new(ByPart, "Each part in what suits it"),
        .. Book.Fills.Select(f => new Choice(f.Info.Id, Say.Upper(f.Info.Name)))];
}
