using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Time;

namespace Dittany.Core.Tests.Planning;

/// <summary>What to buy for what is not begun.</summary>
public class ToBuyTests
{
    private static Plan Made(string words, string colour, Done? done = null) => Samples.Make(Samples.Towel() with
    {
        Elements = [new TextElement("name", words, Colour: colour)],
        Title = words,
        Done = done,
    }, Workshop.Default);

    /// <summary>
    /// A skein of stranded cotton holds 8 m of six strands (as it is sold): two small names of one colour share one, each piece by itself
    /// would want its own; what is begun has its thread already.
    /// </summary>
    [Fact]
    public void Pieces_of_one_colour_share_a_skein()
    {
        var wanted = ToBuy.Of([Made("Io", "#8c3a5f"), Made("Ida", "#8c3a5f"), Made("Otto", "#4f7358"), Made("Wim", "#23628f", new Done(true, 1))], []);
        Assert.Equal(2, wanted.Count);
        var shared = wanted.Single(w => w.Colour == "#8c3a5f");
        Assert.Equal(1, shared.Count);
        Assert.Equal(["Io", "Ida"], shared.For);
        Assert.EndsWith(", stranded cotton: 1 skein", shared.Text, StringComparison.Ordinal);
    }

    /// <summary>What she has in the same colour and kind is told as hers and stands last.</summary>
    [Fact]
    public void What_she_has_is_told()
    {
        OwnThread[] hers = [new("Aunt’s plum", "#8c3a5f", "cotton"), new("plum wool", "#4f7358", "wool")];
        var wanted = ToBuy.Of([Made("Io", "#8c3a5f"), Made("Otto", "#4f7358")], hers);
        Assert.Equal([null, "Aunt’s plum"], wanted.Select(w => w.Hers));
    }

    /// <summary>One more where the last would be emptied to within 15 % (common practice).</summary>
    [Theory]
    [InlineData(0.2, 1)]
    [InlineData(0.9, 2)]
    [InlineData(1.5, 2)]
    [InlineData(0, 0)]
    public void The_last_skein_is_not_emptied(double share, int skeins) =>
        Assert.Equal(skeins, Dittany.Core.Threads.ThreadRoom.Skeins(share));
}
