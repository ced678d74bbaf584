using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;

namespace Dittany.Formats.Sheets;

/// <summary>
/// Where the words go on the real item: the item small, its folds and distances numbered as the steps below it are. Not to scale, and says
/// so.
/// </summary>
internal static class PlacementCard
{
    private const double DrawnHighMm = 112;
    private const double InsetWideMm = 46;
    private const double MarginMm = 16;
    private const double NumberMm = 2.6;
    private const string Pale = "#8b8570";
    private const string Strong = "#8f3a67";

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string note)
    {
        var flow = new Flow(paper, plan.Title, note);
        flow.Heading($"Where it goes: {plan.Title}");
        flow.Text($"{Say.Upper(plan.Item.FormName)}, {plan.Item.SizeName}, {plan.Space.ZoneName}. The drawing is not to scale; the "
            + $"distances are.", colour: Pale);
        flow.Drawing(DrawnHighMm + 8, top => Draw(plan, paper, top + 3));
        for (var i = 0; i < plan.Space.Finding.Count; i++)
        {
            flow.Text(plan.Space.Finding[i].Text, $"{i + 1}", sizeMm: 4.2);
        }

        return flow.Done();
    }

    private static IEnumerable<Mark> Draw(Plan plan, Paper paper, double top)
    {
        // All of the item, small, with its folds; and beside it the place itself, as large as its distances allow.
        var outline = plan.Item.OutlineMm;
        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var whole = new Frame(new Pt(x0, y0), Flow.MarginMm, top + 6, Math.Min(InsetWideMm / (x1 - x0), (DrawnHighMm - 6) / (y1 - y0)));
        var measured = plan.Space.Finding.SelectMany(s => s.Figures).Where(f => !f.Fold).SelectMany(f => new[] { f.From, f.To }).ToArray();
        var boxes = plan.Elements.Select(e => e.BoxMm).ToArray();
        var (left, right) = (Math.Min(measured.Min(p => p.X), boxes.Min(b => b.X)) - MarginMm,
            Math.Max(measured.Max(p => p.X), boxes.Max(b => b.X + b.Width)) + MarginMm);
        var (up, down) = (Math.Min(measured.Min(p => p.Y), boxes.Min(b => b.Y)) - MarginMm,
            Math.Max(measured.Max(p => p.Y), boxes.Max(b => b.Y + b.Height)) + (1.6 * MarginMm));
        var room = paper.WidthMm - (2 * Flow.MarginMm) - InsetWideMm - 8;
        var scale = Math.Min(room / (right - left), DrawnHighMm / (down - up));
        var near = new Frame(new Pt(left, up), Flow.MarginMm + InsetWideMm + 8 + ((room - ((right - left) * scale)) / 2), top, scale);
        var (w, h) = ((right - left) * scale, (down - up) * scale);

        foreach (var mark in Item(plan, whole))
        {
            yield return mark;
        }

        yield return new LineMark(CareCard.Box(whole.On(new Pt(left, up)).X, whole.On(new Pt(left, up)).Y, (right - left) * whole.Scale,
            (down - up) * whole.Scale), 0.3, Strong, Closed: true);
        yield return new ClipMark(near.X, near.Y, w, h, Item(plan, near).ToArray());
        yield return new LineMark(CareCard.Box(near.X, near.Y, w, h), 0.3, Strong, Closed: true);
        for (var i = 0; i < plan.Space.Finding.Count; i++)
        {
            var figures = plan.Space.Finding[i].Figures;
            for (var n = 0; n < figures.Count; n++)
            {
                foreach (var mark in figures[n].Fold ? Fold(figures[n], i + 1, whole, near, up)
                    : Figure(figures[n], i + 1, n == 0 || figures[n].From.Y != figures[0].From.Y, near))
                {
                    yield return mark;
                }
            }
        }
    }

    /// <summary>How the item's mm lie on the card.</summary>
    private sealed record Frame(Pt FromMm, double X, double Y, double Scale)
    {
        public Pt On(Pt p) => new(X + ((p.X - FromMm.X) * Scale), Y + ((p.Y - FromMm.Y) * Scale));
    }

    private static IEnumerable<Mark> Item(Plan plan, Frame frame)
    {
        yield return new LineMark(plan.Item.OutlineMm.Select(frame.On).ToArray(), 0.4, Closed: true, Fill: "#fbf9f2");
        foreach (var obstacle in plan.Space.Obstacles)
        {
            yield return obstacle.SeenAs is { } seen
                ? new LineMark(seen.Select(frame.On).ToArray(), 0.2, Pale,
                    Dashed: obstacle.Kind is ObstacleKind.TopstitchedHem or ObstacleKind.RolledHem)
                : new LineMark(obstacle.Ring.Select(frame.On).ToArray(), 0.2, Pale, Closed: true);
        }

        foreach (var ring in plan.CraftParts.SelectMany(p => p.ShapeMm.Rings))
        {
            yield return new LineMark(ring.Select(frame.On).ToArray(), 0.35, Pale, Closed: true);
        }

        foreach (var part in plan.Elements.SelectMany(e => e.Parts).Where(p => p.LineMm.Count > 1))
        {
            yield return new LineMark(part.LineMm.Select(frame.On).ToArray(), 0.35, Pale, Closed: part.Closed);
        }
    }

    private static IEnumerable<Mark> Fold(FindFigure figure, int step, Frame whole, Frame near, double up)
    {
        yield return new LineMark([whole.On(figure.From), whole.On(figure.To)], 0.35, Strong, Dashed: true);
        foreach (var mark in Number(step, whole.On(figure.From) + new Pt(0, -4.5)))
        {
            yield return mark;
        }

        if (Math.Abs(figure.From.Y - figure.To.Y) < Math.Abs(figure.From.X - figure.To.X))
        {
            // A level crease comes in at the side of the place.
            yield return new LineMark([new Pt(near.X, near.On(figure.From).Y), new Pt(near.X + 12, near.On(figure.From).Y)], 0.35, Strong,
                Dashed: true);
            yield break;
        }

        yield return new LineMark([near.On(new Pt(figure.From.X, Math.Max(up, figure.From.Y))),
            near.On(new Pt(figure.From.X, Math.Max(up, figure.From.Y))) + new Pt(0, 12)], 0.35, Strong, Dashed: true);
    }

    private static IEnumerable<Mark> Figure(FindFigure figure, int step, bool numbered, Frame near)
    {
        var (a, b) = (near.On(figure.From), near.On(figure.To));
        var upright = Math.Abs(a.Y - b.Y) > Math.Abs(a.X - b.X);
        if (figure.Label.ToString().Length == 0)
        {
            // A check, not a distance: a line lower down under the words, its number at the end.
            var low = new Pt(0, 13);
            yield return new LineMark([a + low, b + low], 0.3, Strong, Dashed: true);
            foreach (var mark in Number(step, b + low + new Pt(4.5, 0)))
            {
                yield return mark;
            }

            yield break;
        }

        // Distances along the base line stand a little under it, so that the words stay free.
        var aside = upright ? new Pt(0, 0) : new Pt(0, 6);
        (a, b) = (a + aside, b + aside);
        yield return new LineMark([a, b], 0.35, Strong);
        yield return new DotMark(b - aside, 0.7, 0.2, Strong, Strong);
        var length = a.To(b);
        if (length > 3)
        {
            var way = (b - a) * (1 / length);
            var across = new Pt(-way.Y, way.X);
            yield return new LineMark([b - (way * 2.4) + (across * 0.9), b, b - (way * 2.4) - (across * 0.9)], 0.35, Strong);
            yield return new LineMark([a + (across * 1.4), a - (across * 1.4)], 0.35, Strong);
        }

        var middle = Pt.Lerp(a, b, 0.5);
        if (upright)
        {
            foreach (var mark in Number(step, middle + new Pt(5, 0)))
            {
                yield return mark;
            }

            yield return new TextMark(middle + new Pt(8.6, 1.2), figure.Label, 3.4);
            yield break;
        }

        if (numbered)
        {
            foreach (var mark in Number(step, a + new Pt(0, 4)))
            {
                yield return mark;
            }
        }

        yield return new TextMark(middle + new Pt(0, 4.4), figure.Label, 3.4, Align: Align.Middle);
    }

    private static IEnumerable<Mark> Number(int step, Pt at)
    {
        yield return new DotMark(at, NumberMm, 0.3, Strong, "#ffffff");
        yield return new TextMark(at + new Pt(0, 1.2), $"{step}", 3.4, Align: Align.Middle, Colour: Strong);
    }
}
