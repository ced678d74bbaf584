using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Space;

/// <summary>A fold or a distance of a step, as it is drawn on a placement card: from a landmark to a mark, in mm of the face.</summary>
public sealed record FindFigure(Pt From, Pt To, Told Label, bool Fold = false);

/// <summary>Which way a distance is laid from its landmark.</summary>
public enum Way
{
    Left,
    Right,
    Up,
    Down,
}

/// <summary>
/// What a step has her do: make a crease (no <paramref name="Way"/>), or measure so far from a landmark. The words of the step say the
/// same.
/// </summary>
public sealed record FindMove(string LandmarkId, Way? Way = null, double Mm = 0);

/// <summary>One step of finding the place, with what is drawn for it and what it has her do.</summary>
public sealed record FindStep(Told Text, IReadOnlyList<FindFigure> Figures, IReadOnlyList<FindMove> Moves);

/// <summary>
/// From what a place is measured: a line to go up or down along or across from, a line to be level with, and how far off it may end, mm
/// (two standard deviations).
/// </summary>
public sealed record FoundFrom(Landmark Across, Landmark Level, double WithinMm);

/// <summary>How to find the place again on the real item, with folds and a tape and no computer.</summary>
public static class FindIt
{
    /// <summary>What is promised on paper for woven and for knitted cloth, in mm (common practice).</summary>
    public const double WovenMm = 2;

    public const double KnitMm = 4;

    /// <summary>Where hem and grain part by more than this, the hem is followed (common practice).</summary>
    public const double HemOverGrainMm = 3;

    /// <summary>Distances are told to half millimetres, so that rounding both ways stays within half a millimetre.</summary>
    private const double ToldMm = 0.5;

    /// <summary>Closer than this a place lies on the line itself.</summary>
    private const double OnLineMm = 0.25;

    /// <summary>A tape is laid on a line a little beyond its end.</summary>
    private const double BeyondMm = 6;

    /// <summary>
    /// How true each kind of line is found, one standard deviation in mm, and how sure a tape is: a fixed part and a share of the distance
    /// (from memory).
    /// </summary>
    private static readonly Dictionary<Found, double> Truth = new()
    {
        [Found.Edge] = 0.5,
        [Found.Stitching] = 0.6,
        [Found.Seam] = 1.0,
        [Found.Fold] = 0.8
    };

    private const double TapeMm = 0.4;
    private const double TapeShare = 0.003;

    /// <summary>What a millimetre of doubt weighs against one fold or measurement more (from memory).</summary>
    private const double DoubtWeight = 0.7;

    /// <summary>
    /// A fold is made without reading anything, and so is half the work of a distance laid with a tape; a distance up to 30 mm is laid with
    /// a thumb on the dot (from memory).
    /// </summary>
    private const double FoldWork = 0.5;

    private const double ShortWork = 0.5;

    private const double ShortMm = 30;

    /// <summary>What it is worth that card and slip measure from the same line (from memory).</summary>
    private const double ToldFrom = 0.6;

    /// <summary>
    /// The fewest and most reliable folds and measurements that find a point: every line up and down with every level one is weighed by how
    /// many things there are to do and by how far off they may end. What the usual place of a zone is told from is taken where nothing is
    /// much better. Ties go to the landmark named first in the alphabet.
    /// </summary>
    public static FoundFrom Choose(Drawn item, Zone zone, Pt at)
    {
        var upright = item.Landmarks.Where(l => Math.Abs(l.From.X - l.To.X) < OnLineMm).ToArray();
        var level = item.Landmarks.Where(l => Math.Abs(l.From.Y - l.To.Y) < OnLineMm).ToArray();
        var ways =
            from v in upright
            from h in level
            let x = v.Found == Found.Fold ? v.From.X : at.X
            let reaches = Spans(v.From.Y, v.To.Y, at.Y) && Spans(h.From.X, h.To.X, x)
            let doing = Doing(v, at.X - v.From.X) + Doing(h, at.Y - h.From.Y)
            let aside = Doubt(v, at.X - v.From.X)
            let up = Doubt(h, at.Y - h.From.Y)
            orderby !reaches, doing + (DoubtWeight * Math.Sqrt(Square(aside) + Square(up))) - (h.Id == zone.Usual.From ? ToldFrom : 0),
                v.Id, h.Id
            select new FoundFrom(v, h, 2 * Math.Max(aside, up));
        return ways.First();

        static double Doing(Landmark l, double off) => (l.Found == Found.Fold ? l.Folding.Sure().Folds * FoldWork : 0)
            + (Math.Abs(off) < OnLineMm ? 0 : Math.Abs(off) <= ShortMm ? ShortWork : 1);
        static double Doubt(Landmark l, double off) => Math.Sqrt(
            Square(Truth[l.Found] * Math.Sqrt(l.Found == Found.Fold ? l.Folding.Sure().Folds : 1))
                + (Math.Abs(off) < OnLineMm ? 0 : Square(TapeMm) + Square(TapeShare * off)));
        static bool Spans(double a, double b, double at) => at >= Math.Min(a, b) - BeyondMm && at <= Math.Max(a, b) + BeyondMm;
        static double Square(double n) => n * n;
    }

    /// <summary>
    /// Steps in order for wordings, each with the middle of its last baseline and its width in mm. Where there are several, each step says
    /// whose it is.
    /// </summary>
    public static IReadOnlyList<FindStep> Steps(Drawn item, Zone zone,
        IReadOnlyList<(string Words, Pt BaseCentre, double WidthMm, Called Called)> wordings, bool knit)
    {
        var steps = new List<FindStep>();
        foreach (var (words, baseCentre, widthMm, called) in wordings)
        {
            var from = Choose(item, zone, baseCentre);
            foreach (var fold in new[] { from.Across, from.Level }.Where(l => l.Folding is not null
                && steps.All(s => s.Moves.All(m => m.Way is not null || m.LandmarkId != l.Id))))
            {
                steps.Add(new FindStep(fold.Folding.Sure().How, [new FindFigure(fold.From, fold.To, string.Empty, Fold: true)],
                    [new FindMove(fold.Id)]));
            }

            steps.AddRange(Steps(from, zone, baseCentre, widthMm, called, knit).Select(step => wordings.Count == 1 ? step : step
                with
            { Text = $"“{words}”: {step.Text}" }));
        }

        return steps;
    }

    private static List<FindStep> Steps(FoundFrom from, Zone zone, Pt baseCentre, double widthMm, Called called, bool knit)
    {
        var (line, level) = (from.Across, from.Level);
        var up = Told(level.From.Y - baseCentre.Y);
        var aside = Told(baseCentre.X - line.From.X);
        var half = Math.Round(widthMm / 2, MidpointRounding.AwayFromZero);
        var note = zone.FindNote is { } said ? $" {said}" : string.Empty;
        var (stands, ends) = (called.Do("stand"), called.Do("end"));
        var foot = called.AreWords ? called.All : $"the foot of {called.All}";
        var steps = new List<FindStep>();
        if (line.Found == Found.Fold)
        {
            var onCrease = new Pt(line.From.X, baseCentre.Y);
            steps.Add(up == 0
                ? new FindStep(
                    $"Mark a dot where the fold meets {level.Name}: {foot} {(called.AreWords ? stands : "stands")} at this height.{note}", [], [new FindMove(level.Id, Way.Up, 0)])
                : new FindStep(
                    $"From {level.Name} measure {Mm(up)} {(up > 0 ? "up" : "down")} the fold and mark a dot: {foot} "
                        + $"{(called.AreWords ? stands : "stands")} at this height.{note}",
                    [new FindFigure(new Pt(line.From.X, level.From.Y), onCrease, Mm(up))],
                        [new FindMove(level.Id, up > 0 ? Way.Up : Way.Down, Math.Abs(up))]));
            steps.AddRange(aside == 0
                ? []
                : [new FindStep(
                    $"Measure {Mm(aside)} to the {(aside > 0 ? "right" : "left")} of the dot, level, and mark again: this is the middle "
                        + $"of {called.All}.",
                    [new FindFigure(onCrease, baseCentre, Mm(aside))],
                        [new FindMove(line.Id, aside > 0 ? Way.Right : Way.Left, Math.Abs(aside))])]);
        }
        else
        {
            FindFigure[] figures = [new(new Pt(line.From.X, baseCentre.Y), baseCentre, Mm(aside)),
                new(new Pt(baseCentre.X, level.From.Y), baseCentre, Mm(up))];
            Measures.Told down = up == 0 ? (Measures.Told)$"on {level.Name}"
                : (Measures.Told)$"{Mm(up)} {(up > 0 ? "up" : "down")} from {level.Name}";
            Measures.Told across = aside == 0 ? (Measures.Told)$"On {line.Name}" : (Measures.Told)$"Measure {Mm(aside)} from {line.Name}";
            steps.Add(new FindStep(
                $"{across} and {down}, and mark a dot: the middle of {foot} stands on it.{note}",
                figures.Where(f => f.From != f.To).ToArray(),
                [new FindMove(line.Id, aside > 0 ? Way.Right : Way.Left, Math.Abs(aside)),
                    new FindMove(level.Id, up > 0 ? Way.Up : Way.Down, Math.Abs(up))]));
        }

        var (left, right) = (baseCentre - new Pt(half, 0), baseCentre + new Pt(half, 0));
        steps.Add(new FindStep($"Mark {Mm(half)} to either side: {called.All} {ends} there.",
            [new FindFigure(baseCentre, left, Mm(half)), new FindFigure(baseCentre, right, Mm(half))], []));
        var promised = Math.Max(knit ? KnitMm : WovenMm, Math.Ceiling(from.WithinMm));
        Measures.Told grain = !knit && level.Found == Found.Stitching
            ? (Measures.Told)$" Where hem and grain disagree by more than {Mm(HemOverGrainMm)}, follow the hem."
            : (Measures.Told)string.Empty;
        steps.Add(new FindStep(
            $"Check that it is level: both end marks must be equally far from {level.Name}, within "
                + $"{Mm(Math.Max(1, Math.Floor(widthMm / 100)))} of each other. Level matters more than height, which is good to ± "
                + $"{Mm(promised)}.{grain}",
            [new FindFigure(left, right, string.Empty)], []));
        return steps;

        static Length Mm(double mm) => Say.Length(Math.Abs(mm));
        static double Told(double mm) => Math.Abs(mm) < OnLineMm ? 0 : Math.Round(mm / ToldMm, MidpointRounding.AwayFromZero) * ToldMm;
    }
}
