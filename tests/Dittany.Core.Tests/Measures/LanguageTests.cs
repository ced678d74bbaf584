using System.Collections;
using System.Globalization;
using System.Resources;
using System.Text.RegularExpressions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Measures;

/// <summary>Another language is a catalogue: sentences with gaps, found by the English ones, with the same values in them.</summary>
public partial class LanguageTests
{
    private static readonly Dictionary<string, string> German =
        new ResourceManager("Dittany.Core.Measures.Sentences", typeof(Language).Assembly)
            .GetResourceSet(CultureInfo.GetCultureInfo("de"), createIfNotExists: true, tryParents: false)!.Cast<DictionaryEntry>()
            .ToDictionary(e => (string)e.Key, e => (string)e.Value!, StringComparer.Ordinal);

    private static readonly Plan[] Plans = new[] { "tea-towel", "baby-bodysuit", "tote", "shirt", "cushion-cover" }
        .Select(form => Samples.Plan(Samples.On(form, "Ida"))).Append(Samples.Plan(Samples.Towel("Hippolyta", w => w with { CapHeightMm = 40 })))
        .ToArray();

    /// <summary>A row nobody tells would be a sentence that was changed in English alone.</summary>
    [Fact]
    public void Every_row_is_told_somewhere()
    {
        var told = Plans.SelectMany(p => Sentences.Told(p)).SelectMany(Keys).ToHashSet(StringComparer.Ordinal);
        var without = German.Keys.Where(k => !told.Contains(k) && !told.Contains(Say.Lower(k)) && !told.Contains(k.TrimEnd('.'))).ToArray();
        Assert.True(without.Length == 0, string.Join('\n', without));
        Assert.True(German.Count >= 40);
    }

    [Fact]
    public void Every_row_has_the_gaps_of_its_key() =>
        Assert.All(German, row => Assert.Equal(Gaps(row.Key), Gaps(row.Value)));

    /// <summary>
    /// In German the same numbers stand in a sentence (DIN 1333 writes them with a comma), in her units; what has no words there stays as
    /// it is, and ids and values of choices never change.
    /// </summary>
    [Theory]
    [InlineData(Units.Centimetres)]
    [InlineData(Units.Inches)]
    public void A_plan_in_German_tells_the_same_numbers(Units units)
    {
        var changed = new HashSet<string>(StringComparer.Ordinal);
        foreach (var plan in Plans)
        {
            var (english, german) = (UnitConversion.In(plan, units), UnitConversion.In(plan, units, Language.German));
            foreach (var (one, other) in Sentences.Told(english).Zip(Sentences.Told(german)))
            {
                Assert.Equal(Numbers(one.ToString()), Numbers(other.ToString()));
                if (one != other)
                {
                    changed.Add(other.ToString());
                }
            }

            Assert.Equal(english.Decisions.Select(d => (d.Key, d.ChoiceId)), german.Decisions.Select(d => (d.Key, d.ChoiceId)));
        }

        Assert.True(changed.Count >= 40, $"{changed.Count}");
    }

    [Fact]
    public void A_sentence_is_put_together_in_its_own_order()
    {
        Told told = $"The design takes {Say.Length(112.5)} of {Say.Length(140)}, with {Say.Length(13)} left round it.";
        Assert.Equal("Das Motiv nimmt 11,3 cm von 14 cm ein, ringsum bleiben 13 mm.", told.In(Units.Centimetres, Language.German));
        Told cut = $"Cut {Say.Cm(45)}";
        Assert.Equal("45 cm abschneiden", cut.In(Units.Centimetres, Language.German));
        Assert.Equal("Nobody’s words {0}", ((Told)"Nobody’s words {0}").In(Units.Centimetres, Language.German));
        Told within = $"It is so: {((Told)$"Cut {Say.Cm(45)}").Lower()} {"Linen".ToLowerInvariant()}";
        Assert.Equal("It is so: 45 cm abschneiden leinen", within.In(Units.Centimetres, Language.German));
    }

    private static IEnumerable<string> Keys(Told told) => told.Inner.SelectMany(Keys).Append(told.Key);

    private static SortedSet<string> Gaps(string sentence) => new(Gap().Matches(sentence).Select(m => m.Value), StringComparer.Ordinal);

    private static string[] Numbers(string sentence) =>
        Number().Matches(sentence).Select(m => m.Value.Replace(',', '.')).Order(StringComparer.Ordinal).ToArray();

    [GeneratedRegex(@"\{\d\}", RegexOptions.None, 10_000)]
    private static partial Regex Gap();

    [GeneratedRegex(@"\d+(?:[.,]\d+)?", RegexOptions.None, 10_000)]
    private static partial Regex Number();
}
