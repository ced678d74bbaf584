using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>
/// Wordings whose threads run into each other, and whatever was put on one very point and crosses there: told, with a place beside it. What
/// was given a layer, or hides what is under it, lies so on purpose.
/// </summary>
internal static class Colliding
{
    /// <summary>Threads of two wordings stay so far apart that an eye parts them, mm (from memory).</summary>
    private const double ApartMm = 1;

    /// <summary>Moved beside it, it is so far from it, mm (from memory).</summary>
    private const double BesideMm = 4;

    /// <summary>Centres nearer than this are one point, mm.</summary>
    private const double OnePointMm = 1;

    /// <summary>Elements, each with a concern where it runs into one before it.</summary>
    public static IReadOnlyList<PlannedElement> Told(IReadOnlyList<PlannedElement> elements, Job job, Region field, LayerOrder lying)
    {
        elements = elements.Select(e => (job.Find(e.Id) as MotifElement)?.Loosely is { Pushed.Count: > 0 } ? Copies(e)
            : e).ToArray();
        if (elements.Count < 2)
        {
            return elements;
        }

        var put = job.Elements.Select(e => e.CentreMm).ToArray();
        return elements.Select((element, i) =>
        {
            for (var k = 0; k < i; k++)
            {
                var other = elements[k];
                var point = put[i] is { } a && put[k] is { } b && a.To(b) < OnePointMm;
                if ((point || (!element.IsMotif && !other.IsMotif)) && element.Layer is null && other.Layer is null
                    && !lying.Covered(i, k) && !lying.Covered(k, i) && Meet(element.BoxMm, other.BoxMm) && RunInto(element, other))
                {
                    return element with { Concerns = [.. element.Concerns, Of(element, other, elements, field)] };
                }
            }

            return element;
        }).ToArray();
    }

    /// <summary>A motif, with a concern where copies of it that were pushed run into each other.</summary>
    private static PlannedElement Copies(PlannedElement element)
    {
        var copies = element.Parts.Where(p => p.Copy >= 0).GroupBy(p => p.Copy).OrderBy(g => g.Key).Select(g =>
            (Copy: g.Key, Parts: g.ToArray(), Box: PlannedBox.Of(g.ToArray()))).ToArray();
        foreach (var (one, i) in copies.Select((c, i) => (c, i)))
        {
            foreach (var other in copies.Skip(i + 1).Where(o => Meet(one.Box, o.Box)
                && RunInto(element with { Parts = one.Parts }, element with
                { Parts = o.Parts })))
            {
                return element with
                {
                    Concerns = [.. element.Concerns, new Concern("runs-into", null, null,
                        $"{Say.Upper(element.One)} {one.Copy + 1} and {element.One} {other.Copy + 1} run into each other: push one of them away.", [])],
                };
            }
        }

        return element;
    }

    private static Concern Of(PlannedElement element, PlannedElement other, IReadOnlyList<PlannedElement> all, Region field)
    {
        var mine = element.BoxMm;
        var ways = all.Where(e => e != element).Select(e => e.BoxMm).SelectMany(its => new Pt[]
        {
            new(0, its.Y + its.Height + BesideMm - mine.Y), new(0, its.Y - BesideMm - mine.Y - mine.Height),
            new(its.X + its.Width + BesideMm - mine.X, 0), new(its.X - BesideMm - mine.X - mine.Width, 0),
        });
        var free = ways.OrderBy(w => Math.Abs(w.X) + Math.Abs(w.Y)).Where(w => InField(Moved(mine, w), field)
            && all.All(e => e == element || !Meet(Moved(mine, w), e.BoxMm))).Take(2).ToArray();
        return new Concern("runs-into", null, null,
            (Told)$"{Named(element).Upper()} {(element.IsMotif || !other.IsMotif ? "runs" : "run")} into {Named(other)}: their threads cross{(free.Length == 0 ? ", and there is no room beside it" : string.Empty)}.",
            free.Select(w => new Remedy(CentreMm: new Pt(Rounding.ToGrid(element.CentreMm.X + w.X),
                Rounding.ToGrid(element.CentreMm.Y + w.Y)))
            {
                ByMm = w,
            }).ToArray());
    }

    private static Told Named(PlannedElement element) => element.IsMotif ? Say.The(element.Text) : $"“{element.Text.ReplaceLineEndings(" ")}”";

    private static bool RunInto(PlannedElement one, PlannedElement other)
    {
        var there = new NearLines(other.Parts.Select(Line).ToArray(), Budget.Current);
        var widest = other.Parts.Select(q => q.LineWidthMm).DefaultIfEmpty(0).Max();
        return one.Parts.Any(p => there.Meets(Line(p), ((p.LineWidthMm + widest) / 2) + ApartMm, q =>
            ((p.LineWidthMm + other.Parts[q].LineWidthMm) / 2) + ApartMm));
    }

    private static IReadOnlyList<Pt> Line(Part part) => part.LineMm.Count == 1 ? [part.LineMm[0], part.LineMm[0]]
        : part.Closed ? [.. part.LineMm, part.LineMm[0]] : part.LineMm;

    private static Box Moved(Box box, Pt by) => box with { X = box.X + by.X, Y = box.Y + by.Y };

    private static bool InField(Box box, Region field) => new[]
    {
        new Pt(box.X, box.Y), new Pt(box.X + box.Width, box.Y), new Pt(box.X, box.Y + box.Height),
            new Pt(box.X + box.Width, box.Y + box.Height),
    }.All(field.Holds);

    private static bool Meet(Box a, Box b) => a.X < b.X + b.Width + ApartMm && b.X < a.X + a.Width + ApartMm && a.Y < b.Y + b.Height
        + ApartMm
        && b.Y < a.Y + a.Height + ApartMm;
}
