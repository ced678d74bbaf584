using Dittany.Core.Geometry;
using Dittany.Core.Materials;

namespace Dittany.Formats.Sheets;

/// <summary>
/// Lays headings, paragraphs and steps on leaves from top to bottom, and takes a new leaf where one is full. Nothing is cut off.
/// </summary>
internal sealed class Flow(Paper paper, string title, string note)
{
    public const double MarginMm = 15;
    public const double BodyMm = 3.6;
    private const double Leading = 1.4;
    private const double FootMm = 12;
    private const string Soft = "#55605a";
    private readonly List<List<Mark>> _leaves = [[]];
    private double _y = MarginMm;

    public double WidthMm => paper.WidthMm - (2 * MarginMm);

    private double Bottom => paper.HeightMm - MarginMm - FootMm;

    public Flow Heading(string text, double sizeMm = 7)
    {
        var lines = Typesetting.Wrap(text, sizeMm, WidthMm, heading: true);
        Need((lines.Count * sizeMm * 1.2) + (sizeMm * 0.9) + (2 * BodyMm));
        _y += sizeMm * 0.5;
        foreach (var line in lines)
        {
            _y += sizeMm * 1.1;
            Add(new TextMark(new Pt(MarginMm, _y), line, sizeMm, Heading: true));
        }

        _y += sizeMm * 0.35;
        return this;
    }

    /// <summary>A paragraph; with a number or a box before it where <paramref name="lead"/> says so.</summary>
    public Flow Text(string text, string? lead = null, bool box = false, double sizeMm = BodyMm, string colour = "#000000")
    {
        var indent = lead is not null ? 8 : box ? 7 : 0;
        var lines = Typesetting.Wrap(text, sizeMm, WidthMm - indent);
        for (var i = 0; i < lines.Count; i++)
        {
            Need(sizeMm * Leading);
            _y += sizeMm * Leading;
            if (i == 0 && lead is not null)
            {
                Add(new TextMark(new Pt(MarginMm, _y), lead, sizeMm, Colour: colour));
            }

            if (i == 0 && box)
            {
                var s = sizeMm * 0.9;
                Add(new LineMark([new Pt(MarginMm, _y), new Pt(MarginMm + s, _y), new Pt(MarginMm + s, _y - s), new Pt(MarginMm, _y - s)],
                    0.25, Closed: true));
            }

            Add(new TextMark(new Pt(MarginMm + indent, _y), lines[i], sizeMm, Colour: colour));
        }

        _y += sizeMm * 0.35;
        return this;
    }

    /// <summary>A name and what is said of it, side by side.</summary>
    public Flow Fact(string name, string text)
    {
        const double Column = 58;
        var lines = Typesetting.Wrap(text, BodyMm, WidthMm - Column);
        for (var i = 0; i < lines.Count; i++)
        {
            Need(BodyMm * Leading);
            _y += BodyMm * Leading;
            if (i == 0)
            {
                Add(new TextMark(new Pt(MarginMm, _y), name, BodyMm, Colour: Soft));
            }

            Add(new TextMark(new Pt(MarginMm + Column, _y), lines[i], BodyMm));
        }

        return this;
    }

    /// <summary>Room for a drawing, which is given the top of it; on a new leaf where this one has not enough.</summary>
    public Flow Drawing(double heightMm, Func<double, IEnumerable<Mark>> marks)
    {
        Need(heightMm);
        _leaves[^1].AddRange(marks(_y));
        _y += heightMm;
        return this;
    }

    public IReadOnlyList<Leaf> Done() => _leaves.Select((marks, i) =>
    {
        var foot = paper.HeightMm - MarginMm;
        IReadOnlyList<Mark> all =
        [
            .. marks,
            new LineMark([new Pt(MarginMm, foot - 5), new Pt(paper.WidthMm - MarginMm, foot - 5)], 0.2, Soft),
            new TextMark(new Pt(MarginMm, foot), Typesetting.Short(title, 3, WidthMm * 0.6), 3, Colour: Soft),
            new TextMark(new Pt(paper.WidthMm - MarginMm, foot),
                $"{note}{(note.Length > 0 && _leaves.Count > 1 ? " · " : string.Empty)}{(_leaves.Count > 1 ? $"leaf {i + 1} of {_leaves.Count}" : string.Empty)}", 3, Align: Align.Right, Colour: Soft),
        ];
        return new Leaf(paper, title, ToScale: false, all);
    }).ToArray();

    private void Need(double heightMm)
    {
        if (_y + heightMm > Bottom && _leaves[^1].Count > 0)
        {
            _leaves.Add([]);
            _y = MarginMm;
        }
    }

    private void Add(Mark mark) => _leaves[^1].Add(mark);
}
