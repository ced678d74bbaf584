using Dittany.Core.Measures;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>What was measured of an alphabet, in a sentence: the plan, the page and the door tell the same.</summary>
public static class AlphabetTelling
{
    public static string Measured(IAlphabet alphabet)
    {
        var facts = alphabet.Facts;
        var weight = facts.StrokeWeight is { } w
            ? alphabet.Kind == AlphabetKind.CentreLine ? $"its strokes were {Share(w)} of the capitals thick before they became lines, "
                : $"strokes are {Share(w)} of the capitals thick, "
            : string.Empty;
        return $"Measured on its own letters: {weight}small letters {Share(facts.XHeight)} as high as capitals, the narrowest opening "
            + $"{Share(facts.NarrowestOpening)}, the tightest bend {Share(facts.TightestRadius)}.";
    }

    private static string Share(double units) => double.IsFinite(units) ? $"{Say.Number(units, 0)} %" : "none";
}
