using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Space;

/// <summary>A fold or a distance of a step, as it is drawn on a placement card: from a landmark to a mark, in mm of the face.</summary>
public sealed record FindFigure(Pt From, Pt To, string Label, bool Fold = false);

/// <summary>One step of finding the place, with what is drawn for it.</summary>
public sealed record FindStep(string Text, IReadOnlyList<FindFigure> Figures);

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
    public static IReadOnlyList<FindStep> Steps(Drawn item, Zone zone, IReadOnlyList<(string Words, Pt BaseCentre, double WidthMm)> wordings, bool knit)
    {
        var centre = item.Landmark(zone.Finding.CentreId);
        var steps = zone.Finding.Folds.Select(fold => new FindStep(fold, zone.Finding.FromEdge ? [] : [new FindFigure(centre.From, centre.To, string.Empty, Fold: true)])).ToList();
        foreach (var (words, baseCentre, widthMm) in wordings)
        {
            steps.AddRange(Steps(item, zone.Finding, baseCentre, widthMm, knit).Select(step => wordings.Count == 1 ? step : step with { Text = $"“{words}”: {step.Text}" }));
        }

        return steps;
    }

    private static List<FindStep> Steps(Drawn item, Finding finding, Pt baseCentre, double widthMm, bool knit)
    {
        var level = item.Landmark(finding.LevelId);
        var centre = item.Landmark(finding.CentreId);
        var up = Math.Round(level.From.Y - baseCentre.Y, MidpointRounding.AwayFromZero);
        var aside = Math.Round(baseCentre.X - centre.From.X, MidpointRounding.AwayFromZero);
        var half = Math.Round(widthMm / 2, MidpointRounding.AwayFromZero);
        var steps = new List<FindStep>();
        if (finding.FromEdge)
        {
            steps.Add(new FindStep(
                $"Measure {Mm(aside)} in from {centre.Name} and {Mm(up)} {Way(up)} from {level.Name}, and mark a dot: the middle of the words stands on it.",
                [new FindFigure(new Pt(centre.From.X, baseCentre.Y), baseCentre, Mm(aside)), new FindFigure(new Pt(baseCentre.X, level.From.Y), baseCentre, Mm(up))]));
        }
        else
        {
            var onCrease = new Pt(centre.From.X, baseCentre.Y);
            steps.Add(new FindStep(
                $"From {level.Name} measure {Mm(up)} {Way(up)} the crease and mark a dot: the words stand at this height.",
                [new FindFigure(new Pt(centre.From.X, level.From.Y), onCrease, Mm(up))]));
            if (aside != 0)
            {
                steps.Add(new FindStep(
                    $"Measure {Mm(aside)} to the {(aside > 0 ? "right" : "left")} of the dot, level, and mark again: this is the middle of the words.",
                    [new FindFigure(onCrease, baseCentre, Mm(aside))]));
            }
        }

        var (left, right) = (baseCentre - new Pt(half, 0), baseCentre + new Pt(half, 0));
        steps.Add(new FindStep($"Mark {Mm(half)} to either side: the words end there.", [new FindFigure(baseCentre, left, Mm(half)), new FindFigure(baseCentre, right, Mm(half))]));
        steps.Add(new FindStep(
            $"Check that it is level: {finding.LevelCheck}, within {Mm(Math.Max(1, Math.Floor(widthMm / 100)))} of each other. Level matters more than height, which is good to ± {Mm(knit ? KnitMm : WovenMm)}.",
            [new FindFigure(left, right, string.Empty)]));
        return steps;

        static string Mm(double mm) => $"{Say.Number(Math.Abs(mm), 0)} mm";
        static string Way(double up) => up >= 0 ? "up" : "down";
    }
}
