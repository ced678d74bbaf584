using System.Text.RegularExpressions;
using Dittany.Core.Measures;
using Dittany.Core.Materials;

namespace Dittany.Core.Items;

/// <summary>How a fold is kept on cloth that holds no crease.</summary>
public static partial class Creasing
{
    /// <summary>What is done instead of creasing, by cloth, first that holds (common practice).</summary>
    private static readonly (string Name, Func<Cloth, bool> When, string Instead, string Source)[] Rules =
    [
        ("a coating keeps every hole", c => c.Coated, "mark both ends of the fold with chalk", "common practice"),
        ("felt springs back", c => c.Kind.Structure == Structure.Felt, "set a pin at both ends of the fold", "common practice"),
        ("deep pile hides it", c => c.Pile == Pile.Deep, "set a pin at both ends of the fold", "common practice"),
    ];

    /// <summary>The item with its folds kept as its cloth lets them be.</summary>
    public static Drawn On(Cloth cloth, Drawn drawn)
    {
        var rule = Array.Find(Rules, r => r.When(cloth));
        return rule.Instead is not { } instead ? drawn : drawn with
        {
            Landmarks = drawn.Landmarks.Select(l => l.Folding is not { } fold ? l : l with
            {
                Name = l.Name.Replace("the crease of", "the fold of", StringComparison.Ordinal),
                Folding = fold with
                {
                    How = Crease.Replace(fold.How, instead).Replace("on that crease", "on that fold", StringComparison.Ordinal),
                },
            }).ToArray(),
        };
    }

    /// <summary>The word that says so in the steps: crease, crease lightly, crease the front lightly, crease only its tip.</summary>
    [GeneratedRegex(@"\bcrease\b(?<!that crease)( the (front|back)| only its tip)?( lightly)?", RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Crease { get; }
}
