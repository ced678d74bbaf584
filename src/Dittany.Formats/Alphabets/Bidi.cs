namespace Dittany.Formats.Alphabets;

/// <summary>
/// Runs of one direction in the order they are seen from left to right. By the first strong letter the row goes one way; letters of the other way, with the spaces and signs between them,
/// go theirs. Figures go from left to right in any row. This is the Unicode algorithm (UAX 9) for rows without embeddings, which jobs may not hold.
/// </summary>
internal static class Bidi
{
    public static IReadOnlyList<(int From, int To, bool RightToLeft)> Runs(string text)
    {
        var strong = text.Select(Strong).ToArray();
        var whole = strong.FirstOrDefault(s => s is not null) == true;
        var runs = new List<(int From, int To, bool RightToLeft)>();
        for (var i = 0; i < text.Length;)
        {
            var way = strong[i] ?? Around(i);
            var to = i + 1;
            while (to < text.Length && (strong[to] ?? Around(to)) == way)
            {
                to++;
            }

            runs.Add((i, to, way));
            i = to;
        }

        if (whole)
        {
            runs.Reverse();
        }

        return runs;

        // A sign between two letters of one way goes with them; else with the row.
        bool Around(int i)
        {
            var before = Enumerable.Range(0, i).Reverse().Select(k => strong[k]).FirstOrDefault(s => s is not null) ?? whole;
            var after = Enumerable.Range(i, text.Length - i).Select(k => strong[k]).FirstOrDefault(s => s is not null) ?? whole;
            return before == after ? before : whole;
        }
    }

    /// <summary>Whether a character goes from right to left (true), from left to right (false), or as its neighbours do (null).</summary>
    private static bool? Strong(char c) => c switch
    {
        >= '\u0590' and <= '\u08FF' or >= '\uFB1D' and <= '\uFDFF' or >= '\uFE70' and <= '\uFEFF' => true,
        _ when char.IsLetterOrDigit(c) => false,
        _ => null,
    };
}
