using System.Globalization;
using System.Runtime.InteropServices;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Words;
using HarfBuzzSharp;
using SkiaSharp;

namespace Dittany.Formats.Alphabets;

/// <summary>
/// One letter as it is read, base and marks together, shaped: its glyphs with their places about its own origin, where that stands and how
/// far it goes on. In hundredths of the capital.
/// </summary>
internal sealed record Cluster(string Text, string Key, IReadOnlyList<(ushort Glyph, double X, double Y)> Glyphs, double X, double Advance,
    bool After);

/// <summary>
/// A font opened by the shaping library and by the one that knows its outlines. One question at a time: the libraries' objects are not made
/// for more.
/// </summary>
internal sealed class Opened : IDisposable
{
    private readonly Lock _one = new();
    private readonly GCHandle _pinned;
    private readonly Blob _blob;
    private readonly Face _face;
    private readonly Font _font;
    private readonly SKTypeface _typeface;
    private readonly SKFont _outlines;
    /// <summary>Points of outlines that are kept of a font: some hundred letters, about 2 MB.</summary>
    private const int MostPoints = 50_000;

    private readonly Kept<string, IReadOnlyList<Stroke>> _known = new(MostPoints, strokes => 4 * strokes.Sum(s => s.Curves.Count));
    private readonly double _unit;

    public Opened(byte[] bytes)
    {
        _pinned = GCHandle.Alloc(bytes, GCHandleType.Pinned);
        _blob = new Blob(_pinned.AddrOfPinnedObject(), bytes.Length, MemoryMode.ReadOnly);
        _face = new Face(_blob, 0);
        _font = new Font(_face);
        _font.SetFunctionsOpenType();
        _font.SetScale(_face.UnitsPerEm, _face.UnitsPerEm);
        using var data = SKData.CreateCopy(bytes);
        _typeface = SKTypeface.FromData(data) ?? throw new InvalidDataException("The outlines of this font cannot be read.");
        _outlines = new SKFont(_typeface, _face.UnitsPerEm) { Hinting = SKFontHinting.None, LinearMetrics = true, Subpixel = true };
        Cap = CapHeight();
        _unit = Core.Words.Alphabets.CapUnits / Cap;
    }

    /// <summary>Height of a capital in font units: an H as it is drawn, else what its metrics say.</summary>
    public double Cap { get; }

    public int UnitsPerEm => _face.UnitsPerEm;

    public bool HasRune(int rune)
    {
        lock (_one)
        {
            return _font.TryGetGlyph((uint)rune, out _);
        }
    }

    /// <summary>
    /// A row shaped run by run of one direction, in the order it is seen from left to right, and the middles of its spaces. Spread wider by
    /// so many units letters keep apart: ligatures are not made then.
    /// </summary>
    public (IReadOnlyList<Cluster> Clusters, IReadOnlyList<double> Spaces) Shaped(string text, double wider)
    {
        var (clusters, spaces) = (new List<Cluster>(), new List<double>());
        var pen = 0.0;
        var after = false;
        lock (_one)
        {
            foreach (var (from, to, rightToLeft) in Bidi.Runs(text))
            {
                using var buffer = new HarfBuzzSharp.Buffer();
                buffer.AddUtf16(text[from..to]);
                buffer.GuessSegmentProperties();
                buffer.Direction = rightToLeft ? HarfBuzzSharp.Direction.RightToLeft : HarfBuzzSharp.Direction.LeftToRight;
                Feature[] features = wider == 0 ? [] : [Feature.Parse("liga=0"), Feature.Parse("clig=0"), Feature.Parse("calt=0")];
                _font.Shape(buffer, features);
                var (infos, places) = (buffer.GlyphInfos, buffer.GlyphPositions);
                for (var i = 0; i < infos.Length;)
                {
                    var end = i + 1;
                    while (end < infos.Length && infos[end].Cluster == infos[i].Cluster)
                    {
                        end++;
                    }

                    var letter = TextOf(text[from..to], infos, i, end, rightToLeft);
                    var (glyphs, advance) = (new List<(ushort, double, double)>(), 0.0);
                    for (var k = i; k < end; k++)
                    {
                        // Drawn twice at one place it is the same letter, but taking overlaps out of it may never end.
                        var glyph = ((ushort)infos[k].Codepoint, advance + (places[k].XOffset * _unit), places[k].YOffset * _unit);
                        if (!glyphs.Contains(glyph))
                        {
                            glyphs.Add(glyph);
                        }

                        advance += places[k].XAdvance * _unit;
                    }

                    if (Rows.IsSpace(letter))
                    {
                        spaces.Add(pen + (advance / 2));
                        after = false;
                    }
                    else
                    {
                        var key = string.Join(',', glyphs.Select(g => string.Create(CultureInfo.InvariantCulture,
                            $"{g.Item1}:{g.Item2:0.##}:{g.Item3:0.##}")));
                        clusters.Add(new Cluster(letter, key, glyphs, pen, advance, after));
                        after = true;
                    }

                    pen += advance + wider;
                    i = end;
                }
            }
        }

        return (clusters, spaces);
    }

    /// <summary>
    /// Glyphs that one letter is put together of, marks and all: no writing needs half of it (from memory), and the outline library takes
    /// minutes over forty marks on each other. A letter of more has no outline.
    /// </summary>
    private const int MostGlyphs = 16;

    /// <summary>Outlines of letters together, overlaps taken out, about the origin of the first: closed strokes, y up.</summary>
    public IReadOnlyList<Stroke> Outline(IReadOnlyList<Cluster> run)
    {
        if (run.Any(c => c.Glyphs.Count > MostGlyphs))
        {
            return [];
        }

        var key = string.Join('|', run.Select(c => string.Create(CultureInfo.InvariantCulture, $"{c.Key}@{c.X - run[0].X:0.##}")));
        return _known.Of(key, _ =>
        {
            lock (_one)
            {
                using var all = Drawn(run.Select(c => (c, c.X - run[0].X)));

                using var simple = new SKPath();
                return Strokes(all.Simplify(simple) ? simple : all, 1 / Scale);
            }
        });
    }

    /// <summary>Whether the inks of two neighbours overlap.</summary>
    public bool Overlap(Cluster left, Cluster right)
    {
        if (left.Glyphs.Count > MostGlyphs || right.Glyphs.Count > MostGlyphs)
        {
            return false;
        }

        lock (_one)
        {
            using var a = Drawn([(left, 0)]);
            using var b = Drawn([(right, right.X - left.X)]);
            if (!a.GetBounds(out var boxA) || !b.GetBounds(out var boxB) || boxA.Right < boxB.Left || boxB.Right < boxA.Left)
            {
                return false;
            }

            using var both = new SKPath();
            return a.Op(b, SKPathOp.Intersect, both) && !both.IsEmpty;
        }
    }

    public void Dispose()
    {
        _outlines.Dispose();
        _typeface.Dispose();
        _font.Dispose();
        _face.Dispose();
        _blob.Dispose();
        _pinned.Free();
    }

    /// <summary>Overlaps are taken out in single precision: large enough that nothing of a letter is lost in it.</summary>
    private const float Scale = 10;

    private SKPath Drawn(IEnumerable<(Cluster Cluster, double X)> clusters)
    {
        using var builder = new SKPathBuilder();
        foreach (var (cluster, x) in clusters)
        {
            foreach (var (glyph, dx, dy) in cluster.Glyphs)
            {
                using var path = _outlines.GetGlyphPath(glyph);
                if (path is not null)
                {
                    var k = (float)(_unit * Scale);
                    var matrix = new SKMatrix(k, 0, (float)((x + dx) * Scale), 0, k, (float)(-dy * Scale), 0, 0, 1);
                    builder.AddPath(path, in matrix);
                }
            }
        }

        return builder.Detach();
    }

    /// <summary>Contours of a path as closed strokes, y up. Slivers that taking overlaps out leaves are no part of a letter.</summary>
    private static Stroke[] Strokes(SKPath path, double scale) =>
        Drawings.PathStrokes.Of(path, close: true, p => new Pt(p.X * scale, -p.Y * scale))
        .Where(s => Math.Abs(s.Curves.Sum(c => Pt.Cross(c.P0, c.P3))) / 2 > 0.5).ToArray();

    private double CapHeight()
    {
        if (_font.TryGetGlyph('H', out var h) && _outlines.GetGlyphPath((ushort)h) is { } path)
        {
            using (path)
            {
                if (path.TightBounds.Height > 0)
                {
                    return path.TightBounds.Height;
                }
            }
        }

        var metrics = _outlines.Metrics;
        return metrics.CapHeight > 0 ? metrics.CapHeight : _face.UnitsPerEm * 0.7;
    }

    private static string TextOf(string text, GlyphInfo[] infos, int from, int to, bool rightToLeft)
    {
        var start = (int)infos[from].Cluster;
        var next = rightToLeft ? from > 0 ? (int)infos[from - 1].Cluster : text.Length : to < infos.Length ? (int)infos[to].Cluster
            : text.Length;
        return text[start..Math.Max(start + 1, next)];
    }
}
