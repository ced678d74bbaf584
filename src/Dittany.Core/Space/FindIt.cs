using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Space;

/// <summary>How to find the place again on the real item, with folds and a tape and no computer.</summary>
public static class FindIt
{
    /// <summary>What is promised on paper for woven and for knitted cloth, in mm (common practice).</summary>
    public const double WovenMm = 2;

    public const double KnitMm = 4;

    /// <summary>
    /// Steps in order for wordings, each with the middle of its last baseline and its width in mm. Distances are told to the whole millimetre, which is finer than cloth
    /// can be measured; where there are several, each step says whose it is.
    /// </summary>
    public static IReadOnlyList<string> Tell(Drawn item, IReadOnlyList<(string Words, Pt BaseCentre, double WidthMm)> wordings, bool knit)
    {
        var steps = new List<string> { "Fold the towel in half lengthwise, side hem on side hem, and crease: that is the centre fold." };
        foreach (var (words, baseCentre, widthMm) in wordings)
        {
            steps.AddRange(Tell(item, baseCentre, widthMm, knit).Select(step => wordings.Count == 1 ? step : $"“{words}”: {step}"));
        }

        return steps;
    }

    private static List<string> Tell(Drawn item, Pt baseCentre, double widthMm, bool knit)
    {
        var hem = item.Landmarks.First(l => string.Equals(l.Id, "bottom-hem-stitching", StringComparison.Ordinal));
        var fold = item.Landmarks.First(l => string.Equals(l.Id, "centre-fold", StringComparison.Ordinal));
        var up = Math.Round(hem.From.Y - baseCentre.Y, MidpointRounding.AwayFromZero);
        var aside = Math.Round(baseCentre.X - fold.From.X, MidpointRounding.AwayFromZero);
        var half = Math.Round(widthMm / 2, MidpointRounding.AwayFromZero);
        var steps = new List<string>
        {
            $"From the stitching of the bottom hem measure {Say.Number(up, 0)} mm up the crease and mark a dot: the words stand at this height.",
        };
        if (aside != 0)
        {
            steps.Add($"Measure {Say.Number(Math.Abs(aside), 0)} mm to the {(aside > 0 ? "right" : "left")} of the dot, level, and mark again: this is the middle of the words.");
        }

        steps.Add($"Mark {Say.Number(half, 0)} mm to either side: the words end there.");
        steps.Add($"Check that it is level: both end marks must be {Say.Number(up, 0)} mm from the hem's stitching, within {Say.Number(Math.Max(1, Math.Floor(widthMm / 100)), 0)} mm of each other. Level matters more than height, which is good to ± {Say.Number(knit ? KnitMm : WovenMm, 0)} mm.");
        return steps;
    }
}
