using System.Text;

namespace Dittany.Core.Sayings;

/// <summary>
/// Reads what a maker says she wants: “Ida and two bees in rust on a linen tote for Friday”. Every word is accounted for: it belongs to
/// one span with a label, and what cannot be placed, or could as well be something else, is asked about, never lettered.
/// </summary>
public static class SayingParser
{
    /// <summary>Longer than any saying: what comes behind is asked about as one.</summary>
    public const int MostTokens = 400;

    /// <summary>Two readings this near are asked about (from memory, held by sayings).</summary>
    private const double Near = 0.45;

    /// <summary>A saying of more words is a text: its likeliest reading stands.</summary>
    private const int MostWeighed = 40;

    /// <summary>
    /// Understands a saying on a day. <paramref name="form"/> is the item picked beside it, which counts where the saying names none;
    /// <paramref name="pins"/> is what she settled of single words.
    /// </summary>
    public static Heard Read(string said, DateOnly today, string? form = null, IReadOnlyList<Pin>? pins = null)
    {
        var text = said.Normalize(NormalizationForm.FormC).ReplaceLineEndings("\n");
        var tokens = Tokens.Of(text);
        if (tokens.Count == 0)
        {
            return Heard.Nothing with { Said = text };
        }

        var rest = tokens.Count > MostTokens ? tokens[MostTokens].From : text.Length;
        var reading = new Reading(text, tokens.Take(MostTokens).ToArray(), today);
        var pinned = Pinned.Of(reading, pins ?? []);
        var all = Candidates.Of(reading);
        pinned.Offer(all);
        var (phrases, cost) = Division.Of(reading, all, pinned.Bars, pinned.Word);
        var ties = reading.Count > MostWeighed ? [] : Ties.Of(reading, all, phrases, cost, Near, pinned);
        return Hearing.Of(reading, phrases, all, ties, form, rest);
    }
}
