using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Space;

/// <summary>Whether a place to snap to is a way across the item or a height on it.</summary>
public enum SnapAxis
{
    Across,
    Down,
}

/// <summary>A line of the item's own that the middle of the words can be laid on, mm in the frame of the face.</summary>
public sealed record Snap(string Id, string Name, SnapAxis Axis, double AtMm);

/// <summary>
/// How words stand round their middle: the top of the first row's capitals and the last baseline above and below it, and their box.
/// </summary>
public sealed record Standing(Pt CentreMm, double TopMm, double BaselineMm, double LeftMm, double HighestMm, double RightMm,
    double LowestMm);

/// <summary>The item's own lines to lay words on: its middle, folds, the usual height, and as near each hem as stitches may come.</summary>
public static class Snaps
{
    /// <summary>Two lines nearer than this are one to the hand (from memory).</summary>
    private const double SameMm = 0.5;

    /// <summary>How finely the last free height is found.</summary>
    private const double FineMm = 0.05;

    /// <summary>All lines within the field, nearest names first: each place is told once.</summary>
    public static IReadOnlyList<Snap> For(Drawn item, Zone zone, Region field, Standing words)
    {
        if (field.IsEmpty)
        {
            return [];
        }

        var (least, greatest) = field.Box;
        var snaps = new List<Snap>();
        void Add(string id, string name, SnapAxis axis, double at)
        {
            var (from, to) = axis == SnapAxis.Across ? (least.X, greatest.X) : (least.Y, greatest.Y);
            if (at > from && at < to && snaps.All(s => s.Axis != axis || Math.Abs(s.AtMm - at) >= SameMm))
            {
                snaps.Add(new Snap(id, name, axis, Measures.Rounding.ToGrid(at)));
            }
        }

        foreach (var fold in item.Landmarks.Where(l => l.Found == Found.Fold && Math.Abs(l.From.X - l.To.X) < SameMm))
        {
            Add(fold.Id, fold.Name, SnapAxis.Across, fold.From.X);
        }

        Add("item-middle", $"the middle of the item", SnapAxis.Across, (item.Outline.Min(p => p.X) + item.Outline.Max(p => p.X)) / 2);
        Add("usual-across", "the usual place across", SnapAxis.Across, zone.Usual.AnchorMm.X);
        Add("field-middle", "the middle of the field", SnapAxis.Across, (least.X + greatest.X) / 2);

        var middle = words.CentreMm.Y;
        Add("usual-height", "the usual height", SnapAxis.Down, zone.Usual.Stands switch
        {
            Stands.OnBaseline => zone.Usual.AnchorMm.Y - (words.BaselineMm - middle),
            Stands.OnTop => zone.Usual.AnchorMm.Y + (middle - words.TopMm),
            _ => zone.Usual.AnchorMm.Y,
        });
        Add("optical-height", "a little above the middle of the field", SnapAxis.Down,
            ((least.Y + greatest.Y) / 2) - ((greatest.Y - least.Y) * OpticalPlace.Rise));
        foreach (var fold in item.Landmarks.Where(l => l.Found == Found.Fold && Math.Abs(l.From.Y - l.To.Y) < SameMm))
        {
            Add(fold.Id, fold.Name, SnapAxis.Down, fold.From.Y);
        }

        if (Furthest(field, words, down: true) is { } lowest)
        {
            Add("lowest", "as low as stitches may go", SnapAxis.Down, lowest);
        }

        if (Furthest(field, words, down: false) is { } highest)
        {
            Add("highest", "as high as stitches may go", SnapAxis.Down, highest);
        }

        return snaps;
    }

    /// <summary>A place moved onto the lines that are nearer than <paramref name="withinMm"/>; each way by itself.</summary>
    public static Pt Apply(IReadOnlyList<Snap> snaps, Pt at, double withinMm)
    {
        return new Pt(Nearest(SnapAxis.Across, at.X), Nearest(SnapAxis.Down, at.Y));

        double Nearest(SnapAxis axis, double value) => snaps
            .Where(s => s.Axis == axis && Math.Abs(s.AtMm - value) <= withinMm)
            .OrderBy(s => Math.Abs(s.AtMm - value))
            .ThenBy(s => s.Id, StringComparer.Ordinal)
            .Select(s => (double?)s.AtMm)
            .FirstOrDefault() ?? value;
    }

    /// <summary>
    /// The last height at which the box of the words still lies in the field, going down or up from the middle of it; null where it fits at
    /// none.
    /// </summary>
    private static double? Furthest(Region field, Standing words, bool down)
    {
        var (least, greatest) = field.Box;
        var (up, under) = (words.CentreMm.Y - words.HighestMm, words.LowestMm - words.CentreMm.Y);
        var corners = new[] { 0, 0.25, 0.5, 0.75, 1 }.Select(t => words.LeftMm + ((words.RightMm - words.LeftMm) * t)).ToArray();
        bool Fits(double y) => corners.All(x => field.OutsideBy(new Pt(x, y - up)) == 0 && field.OutsideBy(new Pt(x, y + under)) == 0);
        var (from, to) = (least.Y + up, greatest.Y - under);
        var steps = Enumerable.Range(0, 25).Select(i => from + ((to - from) * i / 24)).Where(Fits).ToArray();
        if (to < from || steps.Length == 0)
        {
            return null;
        }

        var (free, stuck) = down ? (steps[^1], steps[^1] + ((to - from) / 24)) : (steps[0], steps[0] - ((to - from) / 24));
        while (Math.Abs(free - stuck) > FineMm)
        {
            var half = (free + stuck) / 2;
            (free, stuck) = Fits(half) ? (half, stuck) : (free, half);
        }

        return free;
    }
}
