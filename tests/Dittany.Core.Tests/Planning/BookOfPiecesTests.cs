using Dittany.Core.Jobs;
using Dittany.Core.Learning;

namespace Dittany.Core.Tests.Planning;

/// <summary>What she remembers of a piece finds it, and how it was made.</summary>
public class BookOfPiecesTests
{
    private static readonly Remembered Bag = new(1, Samples.Make(new Job("tote", [new TextElement("name", "Ida", Colour: "#4f7358")], Samples.Monday, "Ida’s bag"),
        Workshop.Default), [new DateOnly(2027, 4, 3)], ["for the market"]);

    private static readonly Remembered Towel = new(2, Samples.Make(new Job("tea-towel", [new MotifElement("flower", "daisy")], Samples.Monday),
        Workshop.Default), [new DateOnly(2026, 12, 5)], []);

    /// <summary>The green of the spring bag is the one bag worked in a green in a spring month; words in between say nothing.</summary>
    [Theory]
    [InlineData("the green of the spring bag", 1)]
    [InlineData("daisies in winter", 2)]
    [InlineData("december", 2)]
    [InlineData("market", 1)]
    [InlineData("Ida", 1)]
    [InlineData("leaf green", 1)]
    [InlineData("2026", 2)]
    public void What_is_remembered_finds_it(string asked, int piece)
    {
        var (found, whole) = BookOfPieces.Find(asked, [Bag, Towel]);
        Assert.True(whole);
        Assert.Equal(piece, Assert.Single(found).Piece);
    }

    /// <summary>Where none has all of it the nearest is shown as such; nothing asked shows all, and nothing known none.</summary>
    [Fact]
    public void The_nearest_is_called_so()
    {
        var (near, whole) = BookOfPieces.Find("the green of the winter bag", [Bag, Towel]);
        Assert.False(whole);
        Assert.Equal(1, Assert.Single(near).Piece);
        Assert.Equal(2, BookOfPieces.Find("  ", [Bag, Towel]).Found.Count);
        Assert.Equal(2, BookOfPieces.Find("the", [Bag, Towel]).Found.Count);
        Assert.Empty(BookOfPieces.Find("zeppelin", [Bag, Towel]).Found);
    }

    /// <summary>
    /// How it was made says colour, thickness, stitch and what each thread draws: words by their letters, a motif by its parts.
    /// </summary>
    [Fact]
    public void It_says_how_it_was_made()
    {
        var line = Assert.Single(BookOfPieces.HowMade(Bag.Plan)).ToString();
        Assert.StartsWith("Leaf green, ", line, StringComparison.Ordinal);
        Assert.EndsWith("“Ida”.", line, StringComparison.Ordinal);
        var daisy = BookOfPieces.HowMade(Towel.Plan).Select(t => t.ToString()).ToArray();
        Assert.Contains(daisy, l => l.Contains("petals of the daisy", StringComparison.Ordinal));
        Assert.DoesNotContain(daisy, l => l.Contains("the centres", StringComparison.Ordinal));
    }
}
