using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Words;
using HarfBuzzSharp;
using SkiaSharp;

namespace Dittany.Formats.Alphabets;

/// <summary>
/// A font as an alphabet: shaped with its own ligatures, kerning, marks and direction, its letters as outlines to be stitched round, or as
/// the lines down their middles. Letters whose outlines run into each other, as a script's do, are one. What is made of a glyph is kept by
/// the font's id.
/// </summary>
public sealed class FontAlphabet : IAlphabet, IDisposable
{
    /// <summary>Outlines stay this near the font's curves, in hundredths of the capital, where areas are reckoned.</summary>
    private const double AreaUnits = 0.25;

    /// <summary>Lines of neighbouring letters of a script are drawn together over no more than this many stroke weights.</summary>
    private const double BridgeWeights = 2.2;

    private readonly Lazy<Opened> _font;
    private readonly Lazy<AlphabetFacts> _facts;
    private readonly GlyphKeep _keep = new();
    private readonly Kept<string, bool> _has = new(MostAsked);
    private readonly Kept<(long, long, long), double> _gaps = new(MostPairs);
    private readonly Kept<(long, long, long), double> _kerns = new(MostPairs);

    public FontAlphabet(string id, string name, string told, AlphabetKind kind, Func<byte[]> bytes)
    {
        (Id, Name, Told, Kind) = (id, name, told, kind);
        _font = new Lazy<Opened>(() => new Opened(bytes()));
        _facts = new Lazy<AlphabetFacts>(Measured);
    }

    public string Id { get; }

    public string Name { get; }

    public string Told { get; }

    public AlphabetKind Kind { get; }

    public AlphabetFacts Facts => _facts.Value;

    /// <summary>Font units of a capital, and of the em: what the font's own tables say.</summary>
    public double CapUnits => _font.Value.Cap;

    /// <summary>
    /// Whether its small letters run together, as a script's do. In any other font letters that overlap were only set close, and their
    /// lines are kept apart.
    /// </summary>
    private bool RunsTogether => _runsTogether ??= ScriptPairs.Where(p => p.All(c => Has(c.ToString()))).Any(p =>
        _font.Value.Shaped(p, 0).Clusters is [var a, var b, ..] && _font.Value.Overlap(a, b));

    private static readonly string[] ScriptPairs = ["nn", "en", "un"];

    private bool? _runsTogether;

    /// <summary>Whether the font has a letter and draws it: one that it draws empty it has not.</summary>
    public bool Has(string letter)
    {
        return _has.Of(letter, Draws);

        bool Draws(string _) => (All(letter) || All(letter.Normalize(NormalizationForm.FormD)))
            && _font.Value.Shaped(letter, 0).Clusters is { Count: > 0 } clusters && _font.Value.Outline(clusters).Count > 0;

        bool All(string text) => text.EnumerateRunes().All(r => _font.Value.HasRune(r.Value));
    }

    /// <summary>
    /// So many letters are remembered as had or not: more than any writing has, so that hostile text cannot fill the memory.
    /// </summary>
    private const int MostAsked = 4_000;

    /// <summary>Pairs of neighbours whose distance and white are remembered.</summary>
    private const int MostPairs = 4_000;

    public Glyph? Find(string letter) => Has(letter) && Shape(letter, 0).Letters is [var only] ? only.Glyph : null;

    public GlyphMeasures Measure(Glyph glyph) => _keep.Measure(glyph);

    public Beside Beside(Glyph left, Glyph right)
    {
        var shift = left.InkTo + left.Right + right.Left - right.InkFrom;
        var gap = Gap(left, right, shift);
        return new Beside(0, gap, gap + (Setting.WideBy * Core.Words.Alphabets.CapUnits));
    }

    public ShapedRow Shape(string row, double wider)
    {
        var text = row.Normalize(NormalizationForm.FormC);
        var (clusters, spaces) = _font.Value.Shaped(text, wider);
        var letters = new List<ShapedLetter>();

        // Lines lie half a stroke inside their letters, and have no feet: spaced as the font is they would stand apart. Their white is
        // evened like that of our own hands.
        var (closer, moved) = (0.0, spaces.ToArray());
        for (var i = 0; i < clusters.Count;)
        {
            // What overlaps is one: its outline is that of all of it.
            var to = i + 1;
            while (to < clusters.Count && wider == 0 && (Kind == AlphabetKind.Weighted || RunsTogether)
                && _font.Value.Overlap(clusters[to - 1], clusters[to]))
            {
                to++;
            }

            var run = clusters.Skip(i).Take(to - i).ToArray();
            var glyph = Made(run);
            if (glyph is not null)
            {
                var last = letters.Count > 0 && clusters[i].After ? letters[^1] : null;
                closer += last is null || Kind != AlphabetKind.CentreLine ? 0
                    : Kern(last.Glyph, glyph, run[0].X + closer - last.At - wider);
                var at = run[0].X + closer;
                var gap = last is null ? double.PositiveInfinity : Gap(last.Glyph, glyph, at - last.At);
                if (Kind == AlphabetKind.CentreLine && gap < Spacing.LeastGap)
                {
                    // What the font itself sets too near for thread is moved apart.
                    (closer, at) = (closer + Spacing.LeastGap - gap, at + Spacing.LeastGap - gap);
                    gap = Gap(last!.Glyph, glyph, at - last.At);
                }

                letters.Add(new ShapedLetter(glyph.Letter, glyph, at, gap));
                moved = spaces.Select((s, k) => s > run[0].X ? s + closer : moved[k]).ToArray();
            }

            i = to;
        }

        return new ShapedRow(letters, moved);
    }

    public void Dispose()
    {
        if (_font.IsValueCreated)
        {
            _font.Value.Dispose();
        }
    }

    /// <summary>The letters of one run of overlapping outlines, about the origin of its first.</summary>
    private Glyph? Made(IReadOnlyList<Cluster> run)
    {
        var key = string.Join('|', run.Select(c => string.Create(CultureInfo.InvariantCulture, $"{c.Key}@{c.X - run[0].X:0.##}")));
        return _keep.Glyph(key, () =>
        {
            var outline = _font.Value.Outline(run);
            if (outline.Count == 0)
            {
                return null;
            }

            var strokes = Kind == AlphabetKind.CentreLine ? Lines(run) : outline;
            if (strokes.Count == 0)
            {
                return null;
            }

            var points = strokes.SelectMany(s => s.Flatten(AreaUnits)).ToArray();
            var (from, upTo) = (points.Min(p => p.X), points.Max(p => p.X));
            return new Glyph(string.Concat(run.Select(c => c.Text)), from, run[^1].X - run[0].X + run[^1].Advance - upTo, from, upTo,
                strokes);
        });
    }

    /// <summary>
    /// Centre lines letter by letter, each kept; where a script's letters run into each other their nearest ends are drawn together.
    /// </summary>
    private List<Stroke> Lines(IReadOnlyList<Cluster> run)
    {
        var strokes = new List<Stroke>();
        var (before, weight) = (new List<Stroke>(), 0.0);
        foreach (var cluster in run)
        {
            var (own, wide) = _keep.Lines(cluster.Key, () => CentreOf(_font.Value.Outline([cluster])));
            var here = own.Select(s => s.Map(p => p + new Pt(cluster.X - run[0].X, 0))).ToList();
            if (before.Count > 0)
            {
                Bridge(before, here, BridgeWeights * Math.Max(weight, wide));
                strokes.RemoveRange(strokes.Count - before.Count, before.Count);
                strokes.AddRange(before);
            }

            strokes.AddRange(here);
            (before, weight) = (here.ToList(), wide);
        }

        return strokes;
    }

    /// <summary>The end of the one letter that lies nearest the next is led on to it, where that is near enough to be one line.</summary>
    private static void Bridge(List<Stroke> before, List<Stroke> here, double most)
    {
        var ends = before.SelectMany((s, i) => s.Closed ? [] : new[] { (I: i, Start: true, At: s.Start), (I: i, Start: false, At: s.End) });
        var best = ends.SelectMany(e => here.SelectMany((s, k) => s.Flatten(0.5).Select(p => (End: e, To: p, Way: e.At.To(p))))).Where(b =>
            b.Way < most && b.Way > 1e-6).OrderBy(b => b.Way).ThenBy(b => b.End.I).FirstOrDefault();
        if (best.Way > 0)
        {
            var stroke = before[best.End.I];
            before[best.End.I] = best.End.Start ? new Stroke([Curve.Line(best.To, stroke.Start), .. stroke.Curves], false)
                : new Stroke([.. stroke.Curves, Curve.Line(stroke.End, best.To)], false);
        }
    }

    private static (IReadOnlyList<Stroke> Strokes, double Weight) CentreOf(IReadOnlyList<Stroke> outline)
    {
        var lines = CentreLine.Of(outline.Select(s => s.Flatten(AreaUnits)).ToArray(), yUp: true);
        var strokes = lines.Where(l => l.Points.Count > 1).Select(l => l.Curved()).ToArray();
        var weight = lines.Count == 0 ? 0 : lines.Sum(l => l.MeanWidth * Polyline.Length(l.Points)) / Math.Max(1e-9,
            lines.Sum(l => Polyline.Length(l.Points)));
        return (strokes, weight);
    }

    private double Kern(Glyph left, Glyph right, double shift) =>
        _kerns.Of((left.Number, right.Number, (long)Math.Round(shift * 100)), _ => Spacing.Kern(left, right, shift));

    private double Gap(Glyph left, Glyph right, double shift) => _gaps.Of((left.Number, right.Number, (long)Math.Round(shift * 100)), _ =>
    {
        var theirs = right.Coarse.Select(line => line.Select(p => p + new Pt(shift, 0)).ToArray()).ToArray();
        return Polyline.Between(left.Coarse, theirs);
    });

    /// <summary>
    /// Measured on its own letters: the weight of a stroke is twice the area by the length of the outline, which is exact for an even
    /// stroke that is long for its width.
    /// </summary>
    private AlphabetFacts Measured()
    {
        var (area, length) = (0.0, 0.0);
        foreach (var letter in "nolaesHOE".Select(c => c.ToString()).Where(Has))
        {
            foreach (var contour in _font.Value.Outline(_font.Value.Shaped(letter, 0).Clusters).Select(s => s.Flatten(AreaUnits)))
            {
                area += Enumerable.Range(0, contour.Count).Sum(i => Pt.Cross(contour[i], contour[(i + 1) % contour.Count])) / 2;
                length += Polyline.Length(contour);
            }
        }

        return AlphabetFacts.Of(this, length == 0 ? 0 : Math.Round(2 * Math.Abs(area) / length, 1),
            StrokeWidths.Of(WidthsBy.Select(c => c.ToString()).Where(Has).SelectMany(l =>
            CentreLine.Of(_font.Value.Outline(_font.Value.Shaped(l, 0).Clusters).Select(s => s.Flatten(AreaUnits)).ToArray(), yUp: true))));
    }

    /// <summary>Letters whose strokes are measured along their middle: a round, an arch, a bar, a slope, a stem.</summary>
    private const string WidthsBy = "onezH";
}
