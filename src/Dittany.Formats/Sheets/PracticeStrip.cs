using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;
using Dittany.Formats.Template;

namespace Dittany.Formats.Sheets;

/// <summary>
/// A strip to practise one stitch on, at size: straight, round a bend, into a corner, round a ring, and three letters at the least
/// height and at the comfortable one; or shapes to fill. Ticks show where the needle goes, as far as it must be learnt.
/// </summary>
public static class PracticeStrip
{
    private const double LabelMm = 3.4;

    private const double LineMm = 0.3;

    /// <summary>The strip; null for a stitch that has no lesson.</summary>
    public static Leaf? Of(IStitch stitch, bool leftHanded, Paper paper)
    {
        if (Lesson.Of(stitch, leftHanded) is not { } lesson)
        {
            return null;
        }

        var (left, wide) = (Core.Transfer.Sheet.MarginMm, paper.WidthMm - (2 * Core.Transfer.Sheet.MarginMm));
        var marks = new List<Mark> { new TextMark(new Pt(left, 20), $"To practise: {stitch.Name}", 7, Heading: true) };
        var y = 28.0;
        foreach (var line in Typesetting.Wrap($"{Say.Count(lesson.Strands, "strand")}. {Traits.Tell(stitch.Info.Trait)} It is good for {stitch.Info.GoodFor}.",
            LabelMm, wide))
        {
            marks.Add(new TextMark(new Pt(left, y), line, LabelMm));
            y += 4.6;
        }

        foreach (var (name, high, lines) in lesson.Area ? Areas() : lesson.LineMm.Count < 2 ? Points() : Lines(stitch, lesson.Strands))
        {
            marks.Add(new TextMark(new Pt(left, y + 6), name, LabelMm, Colour: "#55605a"));
            var top = y + 9;
            marks.AddRange(lines.Select(l => (Mark)new LineMark(l.Select(p => new Pt(left + p.X, top + p.Y)).ToArray(), LineMm)));
            if (lesson is { Area: false, LineMm.Count: > 1 } && lines.Count == 1)
            {
                marks.AddRange(Ticks(stitch, lesson.Strands, lines[0]).Select(p =>
                    (Mark)new DotMark(new Pt(left + p.X, top + p.Y), 0.35, 0.1,
                    Fill: "#000000")));
            }

            y = top + high;
        }

        marks.AddRange(TemplateLeaves.Foot(paper, $"To practise: {stitch.Name}", "Trace it onto a scrap of your cloth, and sew along the lines.", null,
            "One sheet."));
        return new Leaf(paper, $"To practise: {stitch.Name}", ToScale: true, marks);
    }

    /// <summary>Where the needle goes on the first three centimetres of a line.</summary>
    private static IEnumerable<Pt> Ticks(IStitch stitch, int strands, IReadOnlyList<Pt> line)
    {
        const double Shown = 30;
        var spec = StitchSpec.For(new Pair(stitch, strands), new StitchSchools());
        var short_ = new List<Pt> { line[0] };
        for (var i = 1; i < line.Count && Polyline.Length(short_) < Shown; i++)
        {
            short_.Add(line[i]);
        }

        var stroke = new Stroke(short_.Zip(short_.Skip(1)).Select(p => Curve.Line(p.First, p.Second)).ToArray(), false);
        return stitch.Sew(new Core.Designs.Shape("line", Line: stroke), new SewingBy(spec)) is { } placed
            ? placed.Stitches.SelectMany(s => s.Moves().ToArray()).Where(m => m.Pierces).Select(m => m.At)
                .DistinctBy(p => (Math.Round(p.X, 1), Math.Round(p.Y, 1))) : [];
    }

    private static IEnumerable<(string Name, double HighMm, IReadOnlyList<IReadOnlyList<Pt>> Lines)> Lines(IStitch stitch, int strands)
    {
        yield return ("Straight, and even", 6, [[new(0, 0), new(120, 0)]]);
        yield return ("Round a gentle bend", 22, [Wave(120, 9)]);
        yield return ("Into corners, and out of them", 18, [[new(0, 14), new(24, 0), new(48, 14), new(72, 0), new(96, 14), new(120, 14)]]);
        yield return ("Round, and closed", 34, [Round(new(15, 15), 15), Round(new(52, 15), 10), Round(new(82, 15), 6)]);
        foreach (var (name, cap) in new[] { ("Letters at their least height", stitch.LeastCapMm(strands)),
            ("Letters at a comfortable height", stitch.ComfortableCapMm(strands)) })
        {
            if (cap <= 60)
            {
                var lines = Lettered(cap);
                yield return ($"{name}: capitals of {Say.Length(cap)}", (cap * 1.35) + 2, lines);
            }
        }
    }

    private static IEnumerable<(string Name, double HighMm, IReadOnlyList<IReadOnlyList<Pt>> Lines)> Points()
    {
        yield return ("One beside the other, all of one size", 8, Enumerable.Range(0, 20).Select(i => Round(new(3 + (6 * i), 3), 0.6)).ToArray());
        yield return ("A ring, and its middle", 26, [.. Enumerable.Range(0, 8).Select(i =>
            Round(new Pt(12, 12) + (new Pt(Math.Sin(Math.Tau * i / 8), -Math.Cos(Math.Tau * i / 8)) * 9), 0.6)), Round(new(12, 12), 0.6)]);
        yield return ("To fill, from the edge inward", 30, [Round(new(12, 13), 12), Round(new(40, 13), 7)]);
    }

    private static IEnumerable<(string Name, double HighMm, IReadOnlyList<IReadOnlyList<Pt>> Lines)> Areas()
    {
        yield return ("Leaves: a small one, and a large one", 34,
            [Leaf(new(0, 12), 28, 7), Leaf(new(40, 14), 50, 12), Leaf(new(104, 14), 60, 14)]);
        yield return ("Strokes of a letter", 34, [[new(0, 0), new(60, 0), new(60, 4), new(0, 4), new(0, 0)],
            [new(72, 0), new(132, 0), new(132, 8), new(72, 8), new(72, 0)]]);
        yield return ("Rounds", 40, [Round(new(14, 14), 14), Round(new(44, 14), 9), Round(new(68, 14), 5)]);
    }

    private static IReadOnlyList<IReadOnlyList<Pt>> Lettered(double cap)
    {
        var setting = Setting.Lay(UprightHand.Alphabet, ["aeSk"], Stands.OnBaseline, cap < Setting.WideBelowMm);
        var points = setting.Lines.SelectMany(l => l).ToArray();
        var (x, y) = (points.Min(p => p.X), points.Min(p => p.Y));
        return setting.Lines.Select(l => (IReadOnlyList<Pt>)l.Select(p => new Pt((p.X - x) * cap, (p.Y - y) * cap)).ToArray()).ToArray();
    }

    private static Pt[] Wave(double length, double high) => Enumerable.Range(0, 121).Select(i =>
        new Pt(length * i / 120, high * (1 - Math.Cos(Math.Tau * i / 60)))).ToArray();

    private static Pt[] Round(Pt centre, double r) => Enumerable.Range(0, 61).Select(i =>
        centre + (new Pt(Math.Sin(Math.Tau * i / 60), -Math.Cos(Math.Tau * i / 60)) * r)).ToArray();

    private static Pt[] Leaf(Pt foot, double length, double half) => [.. Enumerable.Range(0, 31).Select(i =>
        foot + new Pt(length * i / 30, -half * Math.Sin(Math.PI * i / 30))), .. Enumerable.Range(0, 31).Select(i =>
        foot + new Pt(length * (30 - i) / 30, half * Math.Sin(Math.PI * i / 30)))];
}
