using Dittany.Core.Materials;

namespace Dittany.Core.Tests.Materials;

/// <summary>One plain word for a colour, against words that name a family outright.</summary>
public class ColourFamilyTests
{
    private static readonly string[] Families = ["red", "orange", "yellow", "green", "blue", "violet", "pink", "brown", "grey", "white", "black"];

    /// <summary>Every colour of ours whose name says its family is of that family.</summary>
    [Fact]
    public void A_name_that_says_its_family_is_of_it()
    {
        foreach (var colour in Palette.Colours)
        {
            foreach (var family in Families.Intersect(colour.Name.Split(' ')))
            {
                Assert.Equal((colour.Name, family), (colour.Name, ColourFamily.Of(Colour.Parse(colour.Hex))));
            }
        }
    }

    /// <summary>Colours by their keywords in the standard of style sheets (CSS Color Module Level 4, section 6.1).</summary>
    [Theory]
    [InlineData("#ff0000", "red")]
    [InlineData("#8b0000", "red")]
    [InlineData("#ffa500", "orange")]
    [InlineData("#ffff00", "yellow")]
    [InlineData("#008000", "green")]
    [InlineData("#2e8b57", "green")]
    [InlineData("#0000ff", "blue")]
    [InlineData("#000080", "blue")]
    [InlineData("#87ceeb", "blue")]
    [InlineData("#ee82ee", "violet")]
    [InlineData("#ffc0cb", "pink")]
    [InlineData("#ff69b4", "pink")]
    [InlineData("#8b4513", "brown")]
    [InlineData("#808080", "grey")]
    [InlineData("#ffffff", "white")]
    [InlineData("#000000", "black")]
    public void Standard_colours_are_of_their_family(string hex, string family) => Assert.Equal(family, ColourFamily.Of(Colour.Parse(hex)));
}
