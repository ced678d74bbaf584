using System.Text;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;

namespace Dittany.Core.Sayings;

/// <summary>
/// Reads a change as it is said at the bench: “make the petals satin”, “a bit higher”, “without the heart”, “Otto instead of Ida”. It goes
/// through the words once; what they name that is in the piece is what the change is of, and the rest is what it becomes.
/// </summary>
public static class ChangeParser
{
    /// <summary>Understands a change of the piece as it stands, on a day.</summary>
    public static SaidChange Read(string said, Job job, Plan plan, DateOnly today)
    {
        var text = said.Normalize(NormalizationForm.FormC).ReplaceLineEndings(" ").Trim();
        var tokens = Tokens.Of(text).Take(SayingParser.MostTokens).ToArray();
        return tokens.Length == 0 ? new SaidChange(null, [], []) : new ChangeReader(new Reading(text, tokens, today), job, plan).Read();
    }
}
