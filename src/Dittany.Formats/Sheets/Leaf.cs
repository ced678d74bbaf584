using Dittany.Core.Geometry;
using Dittany.Core.Materials;

namespace Dittany.Formats.Sheets;

/// <summary>Something on a leaf of paper, in mm from its top left corner.</summary>
public abstract record Mark;

/// <summary>A line, solid or dashed; closed ones may be filled. Colours are written #rrggbb.</summary>
public sealed record LineMark(IReadOnlyList<Pt> PointsMm, double WidthMm = 0.25, string Colour = "#000000", bool Closed = false,
    bool Dashed = false, string? Fill = null) : Mark;

/// <summary>A round mark.</summary>
public sealed record DotMark(Pt CentreMm, double RadiusMm, double WidthMm, string Colour = "#000000", string? Fill = null) : Mark;

/// <summary>Which way text runs from its point.</summary>
public enum Align
{
    Left,
    Middle,
    Right,
}

/// <summary>Words on one line; the point is on their baseline, the size in mm of the letters' body.</summary>
public sealed record TextMark(Pt AtMm, string Text, double SizeMm, bool Heading = false, Align Align = Align.Left,
    string Colour = "#000000") : Mark;

/// <summary>Marks of which only what lies within a box is seen.</summary>
public sealed record ClipMark(double XMm, double YMm, double WidthMm, double HeightMm, IReadOnlyList<Mark> Marks) : Mark;

/// <summary>
/// One page: what PDF, preview and printer draw from, and nothing else. <paramref name="ToScale"/> says that lengths on it are those of the
/// item.
/// </summary>
public sealed record Leaf(Paper Paper, string Title, bool ToScale, IReadOnlyList<Mark> Marks);
