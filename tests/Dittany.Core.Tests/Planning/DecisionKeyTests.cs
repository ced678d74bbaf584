using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>Keys of decisions, as they are written in jobs and changes.</summary>
public class DecisionKeyTests
{
    [Theory]
    [InlineData("hoop.size", "hoop.size", null, null, null)]
    [InlineData("words.size:second", "words.size", "second", null, null)]
    [InlineData("hoop.size@sleeve", "hoop.size", null, null, "sleeve")]
    [InlineData("words.size:second@left-chest.2", "words.size", "second", null, "left-chest.2")]
    [InlineData("needle.size:leaf-green-3", "needle.size", null, "leaf-green-3", null)]
    [InlineData("thread.colour:a:b", "thread.colour", "a:b", null, null)]
    public void A_key_says_what_it_is_of(string text, string id, string? element, string? thread, string? place)
    {
        Assert.Equal(new DecisionKey(id, element, thread, place), DecisionKey.Parse(text));
        Assert.Equal(text, DecisionKey.Parse(text).ToString());
    }

    /// <summary>Whatever is written as a key is read and written as it was, and a key is read as what it is.</summary>
    [ManyTimes(300)]
    public FsCheck.Property Keys_come_back_as_they_went() => Prop.ForAll(
        Arb.From(
            from row in Gen.Elements(DecisionRegistry.All.Select(r => r.Id).ToArray())
            from of in Gen.Elements<string?>(null, "name", "words-2", "leaf-green-3", "a.b", "ö", "x:y")
            from place in Gen.Elements<string?>(null, "sleeve", "left-chest.2", "z")
            select (Row: row, Of: of, Place: place)),
        k =>
        {
            var key = new DecisionKey(k.Row, k.Row == DecisionKey.Needle ? null : k.Of, k.Row == DecisionKey.Needle ? k.Of : null, k.Place);
            Assert.Equal(key, DecisionKey.Parse(key.ToString()));
            Assert.Equal(k.Row, DecisionRegistry.Find(key)!.Id);
        });

    /// <summary>Each decision once, the later choice; taken out it is gone, and nothing changes what was handed out before.</summary>
    [Fact]
    public void A_choice_is_made_once()
    {
        var one = OverrideSet.Of(("hoop.size", "127"), ("words.size", "12"), ("hoop.size", "152"));
        Assert.Equal(["hoop.size=152", "words.size=12"], one.Select(o => $"{o.Key}={o.Choice}"));
        Assert.Equal("178", one.With("hoop.size", "178")["hoop.size"]);
        Assert.Null(one.Without("hoop.size")["hoop.size"]);
        Assert.Equal("152", one["hoop.size"]);
        Assert.Same(OverrideSet.None, one.Only(_ => false));
        Assert.Equal(["words.size:b=12"], one.Keyed(k => k.Id == "words.size" ? k with { Element = "b" } : default(DecisionKey?)).Select(o =>
            $"{o.Key}={o.Choice}"));
    }
}
