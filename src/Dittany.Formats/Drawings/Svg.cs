using System.Globalization;
using System.Text;
using System.Xml;
using Dittany.Core.Geometry;

namespace Dittany.Formats.Drawings;

/// <summary>
/// The one writer of SVG: for pages, sheets, templates and motifs to take away. Text and attribute values are encoded, numbers the same in
/// every culture. No style attributes: the content policy of the pages refuses them. Everything that is opened must be closed.
/// </summary>
public sealed class Svg : IDisposable
{
    /// <summary>The namespace of SVG (W3C, SVG 2).</summary>
    public const string Ns = "http://www.w3.org/2000/svg";

    private readonly StringBuilder _text = new();
    private readonly XmlWriter _writer;
    private readonly string _format;

    private int _count;

    /// <summary>
    /// Numbers are written with at most so many decimals; <paramref name="lines"/> puts each element on a line of its own.
    /// </summary>
    public Svg(int decimals = 2, bool lines = false)
    {
        _format = decimals == 0 ? "0" : $"0.{new string('#', decimals)}";
        _writer = XmlWriter.Create(
            _text, new XmlWriterSettings
            {
                OmitXmlDeclaration = true,
                CheckCharacters = false,
                ConformanceLevel = ConformanceLevel.Fragment,
                Indent = lines,
                NewLineChars = "\n"
            });
    }

    /// <summary>A number not given before in this drawing.</summary>
    public int Count() => ++_count;

    public Svg Open(string name, params (string Name, object Value)[] attributes)
    {
        _writer.WriteStartElement(name, Ns);
        foreach (var (key, value) in attributes)
        {
            _writer.WriteAttributeString(key, value is double d ? Number(d) : value.ToString());
        }

        return this;
    }

    public Svg Close()
    {
        _writer.WriteEndElement();
        return this;
    }

    public Svg Empty(string name, params (string Name, object Value)[] attributes) => Open(name, attributes).Close();

    public Svg Text(string words)
    {
        _writer.WriteString(words);
        return this;
    }

    public Svg Label(string words, params (string Name, object Value)[] attributes) => Open("text", attributes).Text(words).Close();

    /// <summary>A number with the decimals of this drawing.</summary>
    public string Number(double value) => value.ToString(_format, CultureInfo.InvariantCulture);

    /// <summary>Points joined by straight lines, as path data with the decimals of this drawing.</summary>
    public string Line(IEnumerable<Pt> points, bool closed = false)
    {
        var d = new StringBuilder();
        foreach (var p in points)
        {
            d.Append(d.Length == 0 ? 'M' : 'L').Append(Number(p.X)).Append(' ').Append(Number(p.Y));
        }

        return closed ? d.Append('Z').ToString() : d.ToString();
    }

    /// <summary>What was written so far.</summary>
    public override string ToString()
    {
        _writer.Flush();
        return _text.ToString();
    }

    public void Dispose() => _writer.Dispose();

    /// <summary>A number as the pages write it.</summary>
    public static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    public static string Ring(IEnumerable<Pt> points) => Path(points) + "Z";

    /// <summary>From so many millimetres to a pixel on a tenth is less than half a pixel.</summary>
    private const double TenthsFromPx = 0.25;

    public static string Path(IEnumerable<Pt> points)
    {
        var d = new StringBuilder();
        foreach (var p in points)
        {
            d.Append(d.Length == 0 ? 'M' : 'L').Append(N(p.X)).Append(' ').Append(N(p.Y));
        }

        return d.ToString();
    }

    /// <summary>
    /// The same by steps from point to point, in half the characters where points lie close: for thousands of stitches. Points are rounded
    /// first, so that steps do not drift: to hundredths, or to tenths where <paramref name="px"/> millimetres go to a pixel and nobody
    /// could see more.
    /// </summary>
    public static string Steps(IEnumerable<Pt> points, double px)
    {
        var places = px >= TenthsFromPx ? 1 : 2;
        var d = new StringBuilder();
        var (x, y) = (0.0, 0.0);
        foreach (var p in points)
        {
            var (nextX, nextY) = (Math.Round(p.X, places), Math.Round(p.Y, places));
            if (d.Length == 0)
            {
                d.Append('M').Append(N(nextX)).Append(' ').Append(N(nextY));
            }
            else
            {
                var (stepX, stepY) = (Step(nextX - x), Step(nextY - y));
                d.Append('l').Append(stepX).Append(stepY[0] == '-' ? string.Empty : " ").Append(stepY);
            }

            (x, y) = (nextX, nextY);
        }

        return d.ToString();

        static string Step(double by) => by.ToString(".##", CultureInfo.InvariantCulture) is { Length: > 0 } step ? step : "0";
    }
}
