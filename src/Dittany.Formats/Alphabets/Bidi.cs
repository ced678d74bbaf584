using Icu;

namespace Dittany.Formats.Alphabets;

/// <summary>
/// Runs of one direction in the order they are seen from left to right, by the Unicode algorithm (UAX 9) as ICU has it. The first strong
/// letter says which way the row goes.
/// </summary>
internal static class Bidi
{
    public static IReadOnlyList<(int From, int To, bool RightToLeft)> Runs(string text)
    {
        if (text.Length == 0)
        {
            return [];
        }

        using var row = new BiDi();
        row.SetPara(text, BiDi.DEFAULT_LTR, null);
        return Enumerable.Range(0, row.CountRuns()).Select(run =>
        {
            var way = row.GetVisualRun(run, out var from, out var length);
            return (from, from + length, way == BiDi.BiDiDirection.RTL);
        }).ToArray();
    }
}
