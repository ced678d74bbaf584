using Dittany.Core.Measures;

namespace Dittany.Core.Materials;

/// <summary>One answer a hand can give, what it settles in words, and which cloths agree with it.</summary>
public sealed record ClothAnswer(string Id, string Text, string Settles, Func<ClothKind, bool> Agrees, string Says);

/// <summary>A question a maker can answer with cloth in her hand.</summary>
public sealed record ClothQuestion(string Id, string Asked, string How, IReadOnlyList<ClothAnswer> Answers);

/// <summary>A cloth it may be, and what speaks against it.</summary>
public sealed record Guess(ClothKind Cloth, IReadOnlyList<string> Against);

/// <summary>
/// Finds a cloth by what fingers and eyes tell. The limits are those the plan goes by; what a test of the hand can tell is common practice.
/// </summary>
public static class WhatIsIt
{
    public static IReadOnlyList<ClothQuestion> Questions { get; } =
    [
        new(
            "stretch", "Does it stretch?", "Pull a hand's width of it straight along, then straight across; not on the slant.",
            [
                new("no", "Hardly at all", "Woven: under 10 %.", c => c.StretchPercent < 10, "It does not stretch."),
                new("some", "It gives, and goes back", "Between 10 and 35 %: it wants support while it is worked.", c =>
                    c.StretchPercent is >= 10 and <= 35, "It gives a little."),
                new("much", "A lot", "A knit of more than 35 %: support behind, and a slack hoop.", c => c.StretchPercent > 35,
                    "It stretches a lot."),
            ]),
        new(
            "light", "Does light show through?", "Hold one layer to a window, your hand behind it.",
            [
                new("clear", "I can count my fingers", "About a third of the light: lines can be traced with none behind.", c =>
                    c.LightWhitePercent >= 25, "Fingers are seen through it."),
                new("some", "I see that a hand is there", "Enough to trace over a light.", c => c.LightWhitePercent is >= 8 and < 25,
                    "A hand is seen through it."),
                new("none", "Nothing", "No light helps: the lines go on from above.", c => c.LightWhitePercent < 8,
                    "No light comes through."),
            ]),
        new(
            "surface", "What is its face like?", "Stroke it both ways, and look along it.",
            [
                new("flat", "Flat", "Takes a drawn line.", c => c.Pile == Pile.None && c.Structure
                    is not Structure.Waffle and not Structure.Felt, "Its face is flat."),
                new("squares", "Small squares, raised", "Letters sink into the hollows: openings must be larger.", c =>
                    c.Structure == Structure.Waffle, "It stands in squares."),
                new("loops", "Loops or deep pile", "No line can be drawn on it; film on top, no ring.", c => c.Pile == Pile.Deep,
                    "It has a deep pile."),
                new("fluff", "Fluffy, no loops", "Short pile: film on top.", c => c.Pile == Pile.Short, "It is fluffy."),
                new("matted", "Matted, no threads to be seen", "Felt: nothing frays, no soaking.", c => c.Structure == Structure.Felt,
                    "It is matted."),
                new("ribs", "Fine columns, like small vees", "A knit.", c => c.Knit && c.Pile == Pile.None, "It stands in columns."),
                new("slant", "Slanting lines", "Twill or denim: firm and close.", c => c.Structure == Structure.Twill, "Its lines slant."),
                new("gloss", "Smooth and shining", "Satin: a needle hole shows.", c => c.Structure == Structure.Satin, "It shines."),
            ]),
        new(
            "thick", "How thick is it?", "Pinch one layer, and think of paper.",
            [
                new("thin", "Like paper, or thinner", $"Under {Say.Length(0.35)}: the finest needles.", c => c.ThicknessMm <= 0.35,
                    "It is thin."),
                new("medium", "Like card", $"{Say.Span(0.35, " to ", 0.9)}.", c => c.ThicknessMm is > 0.35 and <= 0.9,
                    "It is of middle thickness."),
                new("thick", "Thicker than card", $"Over {Say.Length(0.9)}: a large needle.", c => c.ThicknessMm > 0.9, "It is thick."),
            ]),
        new(
            "iron", "Does it take the iron?", "Read the dots on its label; else try a hidden seam, coolest first, with a cloth between.",
            [
                new("three", "Three dots", "Up to 200 °C (ISO 3758): a hot-iron transfer is possible.", c =>
                    c.MaxIron == IronLimit.ThreeDots, "It bears three dots."),
                new("two", "Two dots", "Up to 150 °C: no hot-iron transfer.", c => c.MaxIron == IronLimit.TwoDots, "It bears two dots."),
                new("one", "One dot", "Up to 110 °C.", c => c.MaxIron == IronLimit.OneDot, "It bears one dot."),
                new("none", "None at all", "No heat: dry or wet ways only.", c => c.MaxIron == IronLimit.None, "It bears no iron."),
            ]),
        new(
            "water", "Does a drop of water soak in?", "One drop on the right side; count to ten.",
            [
                new("in", "It soaks in", "Not coated.", c => !c.Coated, "Water soaks in."),
                new("bead", "It stands as a bead", "Coated: no ring, no iron, and every needle hole leaks.", c => c.Coated,
                    "Water stands on it."),
            ]),
    ];

    /// <summary>
    /// All cloths, those that agree with every answer first, then by how few answers speak against them; unknown answers are left out.
    /// </summary>
    public static IReadOnlyList<Guess> Guess(IReadOnlyDictionary<string, string> answers)
    {
        var given = Questions.Select(q => q.Answers.FirstOrDefault(a => answers.TryGetValue(q.Id, out var id)
            && a.Id == id)).OfType<ClothAnswer>().ToArray();
        return Cloths.All
            .Select((c, i) => (Place: i, Guess: new Guess(c, given.Where(a => !a.Agrees(c)).Select(a =>
                $"But you say: {Say.Lower(a.Says)}").ToArray())))
            .OrderBy(g => g.Guess.Against.Count).ThenBy(g => g.Place).Select(g => g.Guess).ToArray();
    }

    /// <summary>What a cloth's facts are, each with what it steers.</summary>
    public static IReadOnlyList<(string Fact, string Steers)> Facts(ClothKind cloth) =>
    [
        ($"stretch {Say.Number(cloth.StretchPercent)} %", cloth.StretchPercent >= 10 ? "support behind, slack hoop" : "taut in the hoop"),
        ($"{Say.Length(cloth.ThicknessMm)} thick", "needle, thread used"),
        ($"light {Say.Number(cloth.LightWhitePercent)} % white, {Say.Number(cloth.LightDarkPercent)} % dark", "tracing"),
        (cloth.Pile switch { Pile.None => "no pile", Pile.Short => "short pile", _ => "deep pile" }, cloth.Pile == Pile.None
            ? "a line can be drawn" : "film on top"),
        (Cloths.NameOf(cloth.MaxIron), "hot-iron ways, pressing"),
        (cloth.WashC > 0 ? $"wash up to {cloth.WashC} °C" : "no wash", "film, inks, care card"),
        (cloth.ShrinkPercent > 0 ? $"shrinks {Say.Number(cloth.ShrinkPercent)} %" : "no soaking", "wash it first"),
    ];
}
