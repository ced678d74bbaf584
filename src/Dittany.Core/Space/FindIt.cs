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
    public static IReadOnlyList<string> Tell(Drawn item, Zone zone, IReadOnlyList<(string Words, Pt BaseCentre, double WidthMm)> wordings, bool knit)
    {
        var steps = zone.Finding.Folds.ToList();
        foreach (var (words, baseCentre, widthMm) in wordings)
        {
            steps.AddRange(Tell(item, zone.Finding, baseCentre, widthMm, knit).Select(step => wordings.Count == 1 ? step : $"“{words}”: {step}"));
        }

        return steps;
    }

    private static List<string> Tell(Drawn item, Finding finding, Pt baseCentre, double widthMm, bool knit)
    {
        var level = item.Landmark(finding.LevelId);
        var centre = item.Landmark(finding.CentreId);
        var up = Math.Round(level.From.Y - baseCentre.Y, MidpointRounding.AwayFromZero);
        var aside = Math.Round(baseCentre.X - centre.From.X, MidpointRounding.AwayFromZero);
        var half = Math.Round(widthMm / 2, MidpointRounding.AwayFromZero);
        var steps = new List<string>();
        if (finding.FromEdge)
        {
            steps.Add($"Measure {Mm(aside)} in from {centre.Name} and {Mm(up)} {Way(up)} from {level.Name}, and mark a dot: the middle of the words stands on it.");
        }
        else
        {
            steps.Add($"From {level.Name} measure {Mm(up)} {Way(up)} the crease and mark a dot: the words stand at this height.");
            if (aside != 0)
            {
                steps.Add($"Measure {Mm(aside)} to the {(aside > 0 ? "right" : "left")} of the dot, level, and mark again: this is the middle of the words.");
            }
        }

        steps.Add($"Mark {Mm(half)} to either side: the words end there.");
        steps.Add($"Check that it is level: {finding.LevelCheck}, within {Mm(Math.Max(1, Math.Floor(widthMm / 100)))} of each other. Level matters more than height, which is good to ± {Mm(knit ? KnitMm : WovenMm)}.");
        return steps;

        static string Mm(double mm) => $"{Say.Number(Math.Abs(mm), 0)} mm";
        static string Way(double up) => up >= 0 ? "up" : "down";
    }
}
