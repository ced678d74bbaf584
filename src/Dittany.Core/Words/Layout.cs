using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// Lays a wording out along its arrangement for capitals 1 mm high. Separate letters are turned whole, as cut-out letters would be; joined
/// ones are bent with their line, so that the joins hold.
/// </summary>
internal sealed class Layout(IAlphabet alphabet, IReadOnlyList<string> rows, Stands stands, Arrangement arrangement, Ornament? ornament)
{
    private const double Unit = 1 / Alphabets.CapUnits;

    /// <summary>A drawing beside words: its height, and the cloth between, in capital heights (from memory).</summary>
    private const double BesideHigh = 1.1;

    private const double AboveHigh = 0.9;

    private const double OrnamentGap = 0.35;

    /// <summary>A drawing round words stands off them by this much of the capitals (from memory).</summary>
    private const double AroundBy = 0.55;

    /// <summary>A drawing in place of a dot is this high, and its middle as high over the line as a dot's.</summary>
    private const double DotHigh = 0.3;

    /// <summary>Pushing letters of a tight bend apart ends after so many steps: each leaves a tenth of what was missing.</summary>
    private const int Pushes = 6;

    private readonly Dictionary<bool, Laid> _straight = [];

    public Arrangement Arrangement => arrangement;

    /// <summary>
    /// A thing in a row: a letter, or the drawing that stands in it. Middle and box in capital heights from the middle of its row.
    /// </summary>
    private sealed record InRow(ShapedLetter? Letter, double Middle, double Scale = 1);

    private sealed record Laid(IReadOnlyList<IReadOnlyList<InRow>> Rows, IReadOnlyList<double> Widths, Figure? Beside);

    public Setting Lay(bool wide, double capMm)
    {
        var (laid, way, baseline, origin, middle) = Bent(wide, capMm);
        var (letters, parts) = (new List<SetLetter>(), new List<FigurePart>());
        for (var r = 0; r < laid.Rows.Count; r++)
        {
            Place(laid, laid.Rows[r], r, way, letters, parts);
        }

        if (ornament is { Place: OrnamentPlace.Above or OrnamentPlace.Below or OrnamentPlace.Around } whole)
        {
            parts.AddRange(Beyond(whole, letters, way, baseline).Parts);
        }

        var capitals = letters.All(l => l.Letter.Any(char.IsUpper) || l.Letter.All(c => !char.IsLetter(c)));
        var setting = new Setting(letters, rows.Count, WidthOf(letters), new Pt(0, -origin), capitals, new Pt(0, -origin - middle), parts,
            way.LeastRadius);
        return way.Settled(setting, stands);
    }

    /// <summary>
    /// Whether no point of any letter lies outside, neighbours not pushed apart; the outermost letters are asked first, for they leave a
    /// room first.
    /// </summary>
    public bool MayFit(bool wide, double capMm, Func<Pt, bool> inside)
    {
        var (laid, way, _, _, _) = Bent(wide, capMm);
        for (var r = 0; r < laid.Rows.Count; r++)
        {
            var row = laid.Rows[r];
            var joined = row.Any(i => i.Letter?.Joins == true);
            for (var k = 0; k < row.Count; k++)
            {
                var item = row[k % 2 == 0 ? k / 2 : row.Count - 1 - (k / 2)];
                if (item.Letter is not { } letter)
                {
                    continue;
                }

                var (centre, frame, unit, drop) = ((letter.Glyph.InkFrom + letter.Glyph.InkTo) / 2, way.FrameAt(r, item.Middle),
                    Unit * item.Scale, (1 - item.Scale) / 2);
                // The corners of a coarse line stand on the true one: enough to see that it leaves the room.
                foreach (var line in joined ? letter.Lines : letter.Glyph.Coarse)
                {
                    foreach (var p in line)
                    {
                        if (!inside(joined ? way.Stand(r, item.Middle + ((p.X - centre) * unit), 0, p.Y * unit)
                            : frame.At((p.X - centre) * unit, (p.Y * unit) + drop)))
                        {
                            return false;
                        }
                    }
                }
            }
        }

        return true;
    }

    private (Laid Laid, Bend Way, Func<int, double> Baseline, double Origin, double Middle) Bent(bool wide, double capMm)
    {
        if (!_straight.TryGetValue(wide, out var laid))
        {
            _straight[wide] = laid = InRows(wide);
        }

        var x = alphabet.Facts.XHeight * Unit;
        var middle = (((rows.Count - 1) * Setting.RowPitch) + x) / 2;
        var origin = stands switch
        {
            Stands.OnBaseline => 0,
            Stands.OnMiddle => -middle,
            _ => -((rows.Count - 1) * Setting.RowPitch) - 1,
        };
        double Baseline(int row) => (-(rows.Count - 1 - row) * Setting.RowPitch) - origin;
        var way = new Bend(arrangement, capMm, laid.Widths, x, rows.Count, Baseline);
        return (laid, way, Baseline, origin, middle);
    }

    /// <summary>How wide everything is, letters alone, in capital heights.</summary>
    private static double WidthOf(IReadOnlyList<SetLetter> letters)
    {
        var (least, greatest) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var p in letters.SelectMany(l => l.Lines).SelectMany(l => l))
        {
            (least, greatest) = (Math.Min(least, p.X), Math.Max(greatest, p.X));
        }

        return Math.Max(0, greatest - least);
    }

    /// <summary>Rows of letters laid straight, from the middle of each row.</summary>
    private Laid InRows(bool wide)
    {
        var wider = (wide ? Setting.WideUnits : 0) + (arrangement.Way == WordWay.Spaced ? Arrangement.SpacedBy * Alphabets.CapUnits : 0);
        var (laid, widths) = (new List<IReadOnlyList<InRow>>(), new List<double>());
        var beside = ornament is { Place: OrnamentPlace.Before or OrnamentPlace.After or OrnamentPlace.Between }
            ? ornament.Draw(double.PositiveInfinity, BesideHigh) : null;
        for (var r = 0; r < rows.Count; r++)
        {
            var shaped = alphabet.Shape(rows[r], wider);
            var items = shaped.Letters.Select(l => (Letter: (ShapedLetter?)l, From: (l.At + l.Glyph.InkFrom) * Unit,
                To: (l.At + l.Glyph.InkTo) * Unit)).ToList();
            if (beside is not null && Hosts(r, shaped))
            {
                Insert(items, shaped, beside.Width);
            }

            var scales = items.Select(i => arrangement.Way == WordWay.Monogram && shaped.Letters.Count == Arrangement.MostInitials
                && ReferenceEquals(i.Letter, shaped.Letters[1]) ? Arrangement.MiddleInitial : 1).ToArray();
            if (arrangement.Way == WordWay.Monogram)
            {
                Initials(items, scales);
            }

            // A row may come to nothing, where a font draws its letters empty: it takes its line all the same.
            var (from, to) = items.Count == 0 ? (0, 0) : (items.Min(l => l.From), items.Max(l => l.To));
            var half = (from + to) / 2;
            laid.Add(items.Select((i, n) => new InRow(i.Letter, ((i.From + i.To) / 2) - half, scales[n])).ToArray());
            widths.Add(to - from);
        }

        return new Laid(laid, widths, beside);

        bool Hosts(int r, ShapedRow shaped) => ornament.Sure().Place switch
        {
            OrnamentPlace.Before => r == 0,
            OrnamentPlace.After => r == rows.Count - 1,
            _ => shaped.Spaces.Count > 0 ? !rows.Take(r).Any(x => x.Contains(' ', StringComparison.Ordinal)) : r == 0
                && rows.All(x => !x.Contains(' ', StringComparison.Ordinal)),
        };
    }

    /// <summary>Initials stand by their ink, the middle one of three larger.</summary>
    private static void Initials(List<(ShapedLetter? Letter, double From, double To)> items, double[] scales)
    {
        var at = 0.0;
        for (var i = 0; i < items.Count; i++)
        {
            var width = (items[i].To - items[i].From) * scales[i];
            items[i] = (items[i].Letter, at, at + width);
            at += width + Arrangement.InitialsApart;
        }
    }

    /// <summary>
    /// Opens a gap for the drawing: before, after, or at the space nearest the middle (after the words where there is none).
    /// </summary>
    private void Insert(List<(ShapedLetter? Letter, double From, double To)> items, ShapedRow shaped, double width)
    {
        var at = ornament.Sure().Place switch
        {
            OrnamentPlace.Before => items.Min(i => i.From) - OrnamentGap,
            OrnamentPlace.Between when shaped.Spaces.Count > 0 =>
                shaped.Spaces.OrderBy(s => Math.Abs((s * Unit) - ((items[0].From + items[^1].To) / 2))).First() * Unit,
            _ => items.Max(i => i.To) + OrnamentGap,
        };
        var need = width + (2 * OrnamentGap);
        var before = items.Where(i => i.To <= at).Select(i => i.To).DefaultIfEmpty(double.NegativeInfinity).Max();
        var after = items.Where(i => i.From >= at).Select(i => i.From).DefaultIfEmpty(double.PositiveInfinity).Min();
        var shift = double.IsFinite(before) && double.IsFinite(after) ? Math.Max(0, need - (after - before)) : 0;
        for (var i = 0; i < items.Count; i++)
        {
            if (items[i].From >= at)
            {
                items[i] = (items[i].Letter, items[i].From + shift, items[i].To + shift);
            }
        }

        var start = double.IsFinite(before) ? before + OrnamentGap : after - OrnamentGap - width;
        items.Insert(items.TakeWhile(i => i.From < start).Count(), (null, start, start + width));
    }

    private void Place(Laid laid, IReadOnlyList<InRow> row, int r, Bend way, List<SetLetter> letters, List<FigurePart> parts)
    {
        var push = 0.0;
        var placed = new List<(InRow Item, double Middle)>();
        IReadOnlyList<IReadOnlyList<Pt>>? stood = null;
        foreach (var item in row)
        {
            IReadOnlyList<IReadOnlyList<Pt>>? shape = null;
            if (way.Bends && item.Letter is { Joins: false } letter && placed.Count > 0 && placed[^1].Item.Letter is { } previous
                && double.IsFinite(letter.Gap) && way.TurnsBetween(placed[^1].Middle, item.Middle + push))
            {
                stood ??= Coarse(previous, r, placed[^1].Middle, way);

                // The feet or heads of neighbours lean together on a bend: they are pushed apart until they are as far from each other as
                // on a straight line.
                var wanted = Math.Min(letter.Gap * Unit, Spacing.LeastGap * Unit);
                for (var k = 0; k < Pushes; k++)
                {
                    shape = Coarse(letter, r, item.Middle + push, way);
                    var gap = Polyline.Between(stood, shape);
                    if (gap >= wanted * 0.995)
                    {
                        break;
                    }

                    push += (wanted - gap) * 1.1;
                    shape = null;
                }
            }

            placed.Add((item, item.Middle + push));
            stood = shape;
        }

        // Where letters are joined the whole row is bent with its line, or the joins would part.
        var joined = way.Bends && row.Any(i => i.Letter?.Joins == true);
        (Lazy<IReadOnlyList<IReadOnlyList<Pt>>> Near, double Middle)? last = null;
        foreach (var (item, at) in placed)
        {
            // What pushing added is shared by both sides of the middle.
            var middle = at - (push / 2);
            if (item.Letter is null)
            {
                parts.AddRange(laid.Beside.Sure().Map(p => way.Stand(r, middle, p.X, 0.5 - p.Y)).Parts);
                last = null;
                continue;
            }

            var shaped = item.Letter;
            var glyphMiddle = (shaped.Glyph.InkFrom + shaped.Glyph.InkTo) / 2;
            var (strokes, lines) = (shaped.Strokes ?? shaped.Glyph.Strokes, shaped.Lines);
            if (ornament is { Place: OrnamentPlace.Dot } dotted && parts.Count == 0 && Undotted(shaped, strokes) is { } undotted)
            {
                (strokes, lines) = (undotted.Strokes, undotted.Strokes.Select(s => s.Flatten(Alphabets.FlattenUnits)).ToArray());
                parts.AddRange(dotted.Draw(DotHigh * 1.3, DotHigh).Map(p =>
                    way.Stand(r, middle, p.X + ((undotted.At.X - glyphMiddle) * Unit), (undotted.At.Y * Unit) - p.Y)).Parts);
            }

            var (unit, drop) = (Unit * item.Scale, (1 - item.Scale) / 2);
            var frame = way.FrameAt(r, middle);
            Pt Map(Pt p) => joined ? way.Stand(r, middle + ((p.X - glyphMiddle) * unit), 0, p.Y * unit)
                : frame.At((p.X - glyphMiddle) * unit, (p.Y * unit) + drop);
            IReadOnlyList<IReadOnlyList<Pt>> Mapped(IReadOnlyList<IReadOnlyList<Pt>> all) =>
                all.Select(line => (IReadOnlyList<Pt>)line.Select(Map).ToArray()).ToArray();

            var near = new Lazy<IReadOnlyList<IReadOnlyList<Pt>>>(() => Mapped(shaped.Glyph.Coarse));
            var before = last;
            var turned = before is { } b && double.IsFinite(shaped.Gap)
                && (arrangement.Way == WordWay.Monogram || (way.Bends && way.TurnsBetween(b.Middle, middle)));
            letters.Add(new SetLetter(
                shaped.Letter, r, shaped.Glyph, Mapped(lines), () => strokes.Select(s => s.Map(Map)).ToArray(), () => turned
                    ? Polyline.Between(before.Sure().Near.Value, near.Value) : shaped.Gap * Unit, shaped.Joins));
            last = (near, middle);
        }
    }

    private static IReadOnlyList<IReadOnlyList<Pt>> Coarse(ShapedLetter letter, int row, double middle, Bend way)
    {
        var (centre, frame) = ((letter.Glyph.InkFrom + letter.Glyph.InkTo) / 2, way.FrameAt(row, middle));
        return letter.Glyph.Coarse.Select(line => (IReadOnlyList<Pt>)line.Select(p =>
            frame.At((p.X - centre) * Unit, p.Y * Unit)).ToArray()).ToArray();
    }

    /// <summary>A dotted letter without its dot, and where that was; null where it has none.</summary>
    private static (IReadOnlyList<Stroke> Strokes, Pt At)? Undotted(ShapedLetter shaped, IReadOnlyList<Stroke> strokes)
    {
        var dot = shaped.Letter is "i" or "j" ? strokes.FirstOrDefault(s => !s.Closed && s.Curves.Count == 1 && s.Curves[0].IsStraight
            && s.Start.To(s.End) <= Alphabets.DotUnits) : null;
        return dot is null ? null : (strokes.Where(s => !ReferenceEquals(s, dot)).ToArray(), Pt.Lerp(dot.Start, dot.End, 0.5)
            + new Pt(0, 6));
    }

    /// <summary>Drawings above, below or round all of the words.</summary>
    private static Figure Beyond(Ornament ornament, List<SetLetter> letters, Bend way, Func<int, double> baseline)
    {
        var points = letters.SelectMany(l => l.Lines).SelectMany(l => l).DefaultIfEmpty().ToArray();
        var (least, greatest) = (new Pt(points.Min(p => p.X), points.Min(p => p.Y)), new Pt(points.Max(p => p.X), points.Max(p => p.Y)));
        var middle = Pt.Lerp(least, greatest, 0.5);
        switch (ornament.Place)
        {
            case OrnamentPlace.Above:
                var above = ornament.Draw(Math.Max(1.5, greatest.X - least.X), AboveHigh);
                return above.Moved(new Pt(middle.X, Math.Min(least.Y, baseline(0) - 1) - OrnamentGap - (above.Height / 2)));
            case OrnamentPlace.Below:
                var below = ornament.Draw(Math.Max(1.5, greatest.X - least.X), AboveHigh);
                return below.Moved(new Pt(middle.X, greatest.Y + OrnamentGap + (below.Height / 2)));
            default:
                // Round the words with as much cloth at their corners as at their sides.
                return ornament.Draw(greatest.X - least.X + (2 * AroundBy), greatest.Y - least.Y + (2 * AroundBy)).Moved(middle);
        }
    }
}
