using System.Globalization;
using System.Net;
using System.Text;
using Dittany.Core.Geometry;

namespace Dittany.Web.Drawings;

/// <summary>Writes SVG elements; text and attribute values are encoded, numbers the same in every culture. No style attributes: the content policy refuses them.</summary>
public sealed class Svg
{
    private readonly StringBuilder _text = new();
    private readonly Stack<string> _open = new();

    private int _count;

    /// <summary>A number not given before in this drawing.</summary>
    public int Count() => ++_count;

    public Svg Open(string name, params (string Name, object Value)[] attributes)
    {
        Tag(name, attributes);
        _text.Append('>');
        _open.Push(name);
        return this;
    }

    public Svg Close()
    {
        _text.Append("</").Append(_open.Pop()).Append('>');
        return this;
    }

    public Svg Empty(string name, params (string Name, object Value)[] attributes)
    {
        Tag(name, attributes);
        _text.Append("/>");
        return this;
    }

    public Svg Text(string words)
    {
        _text.Append(WebUtility.HtmlEncode(words));
        return this;
    }

    public Svg Label(string words, params (string Name, object Value)[] attributes) => Open("text", attributes).Text(words).Close();

    public override string ToString() => _text.ToString();

    public static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    public static string Ring(IEnumerable<Pt> points) => Path(points) + "Z";

    public static string Path(IEnumerable<Pt> points)
    {
        var d = new StringBuilder();
        foreach (var p in points)
        {
            d.Append(d.Length == 0 ? 'M' : 'L').Append(N(p.X)).Append(' ').Append(N(p.Y));
        }

        return d.ToString();
    }

    private void Tag(string name, (string Name, object Value)[] attributes)
    {
        _text.Append('<').Append(name);
        foreach (var (key, value) in attributes)
        {
            _text.Append(' ').Append(key).Append("=\"").Append(WebUtility.HtmlEncode(value is double d ? N(d) : value.ToString())).Append('"');
        }
    }
}
