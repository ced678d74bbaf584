using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;

namespace Dittany.Web.Tests.Alphabets;

/// <summary>
/// Every shipped hand on three usual items: what a maker would laugh at is not said, and the height from which a hand reads is the same for
/// all higher ones (common practice: capitals of 15 mm and more are written in any hand).
/// </summary>
public class ScriptTests
{
    private static readonly DateOnly Day = new(2027, 3, 1);

    public static TheoryData<string> Lines() => [.. ShippedAlphabets.All.Where(a => a.Kind == AlphabetKind.CentreLine).Select(a => a.Id)];

    public static TheoryData<string> All() => [.. ShippedAlphabets.All.Select(a => a.Id)];

    private static PlannedElement Written(string alphabet, string form, double cap) => Planner.Make(
        new Job(form, [new TextElement("name", form == "napkin" ? "MB" : "Zoë", Alphabet: alphabet, CapHeightMm: cap)], Day),
        Workshop.Default, ShippedAlphabets.Library).Elements[0];

    /// <summary>Written as lines, capitals of 15 mm and more read in every hand; only the place can be too small for them.</summary>
    [Theory]
    [MemberData(nameof(Lines))]
    public void Lines_of_every_hand_read_from_15_mm_on(string alphabet)
    {
        foreach (var form in new[] { "baby-bodysuit", "tote", "napkin" })
        {
            foreach (var cap in new[] { 15.0, 18, 21, 25, 30 })
            {
                Assert.DoesNotContain(Written(alphabet, form, cap).Concerns, c => c.What != "overflows");
            }
        }
    }

    /// <summary>
    /// A single strand is a hairline for capitals of 18 mm and more: it is never taken there of itself, nor named as a remedy (from
    /// memory).
    /// </summary>
    [Theory]
    [MemberData(nameof(All))]
    public void No_single_strand_on_large_letters(string alphabet)
    {
        foreach (var cap in new[] { 18.0, 21, 30 })
        {
            var element = Written(alphabet, "baby-bodysuit", cap);
            Assert.All(element.Parts, p => Assert.True(p.Strands > 1, $"{cap}: {p.Strands}"));
            Assert.DoesNotContain(element.Concerns.SelectMany(c => c.Remedies), r => r.Strands == 1);
        }
    }
}
