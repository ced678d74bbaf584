using System.Globalization;
using System.Text;
using System.Xml;
using Dittany.Core.Geometry;

namespace Dittany.Formats.Sheets;

/// <summary>A leaf as SVG, for looking at before it is printed: the same marks as the PDF. No script, no outside reference; words are text.</summary>
public static class LeafSvg
{
    private const string Ns = "http://www.w3.org/2000/svg";

    /// <summary>The SVG as text, its units mm; <paramref name="id"/> keeps names apart where several stand on one page.</summary>
    public static string Write(Leaf leaf, string id)
    {
        var text = new StringBuilder();
        var clips = 0;
        using (var w = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true, CheckCharacters = false }))
        {
            w.WriteStartElement("svg", Ns);
            w.WriteAttributeString("class", "leaf");
            w.WriteAttributeString("role", "img");
            w.WriteAttributeString("aria-labelledby", $"{id}-title");
            w.WriteAttributeString("viewBox", $"0 0 {N(leaf.Paper.WidthMm)} {N(leaf.Paper.HeightMm)}");
            w.WriteStartElement("title", Ns);
            w.WriteAttributeString("id", $"{id}-title");
            w.WriteString(leaf.Title);
            w.WriteEndElement();
            Draw(leaf.Marks);
            w.WriteEndElement();

            void Draw(IReadOnlyList<Mark> marks)
            {
                foreach (var mark in marks)
                {
                    switch (mark)
                    {
                        case ClipMark clip:
                            var name = $"{id}-clip-{clips++}";
                            Start("clipPath", ("id", name));
                            Start("rect", ("x", N(clip.XMm)), ("y", N(clip.YMm)), ("width", N(clip.WidthMm)), ("height", N(clip.HeightMm)));
                            w.WriteEndElement();
                            w.WriteEndElement();
                            Start("g", ("clip-path", $"url(#{name})"));
                            Draw(clip.Marks);
                            w.WriteEndElement();
                            break;
                        case LineMark line:
                            Start(
                                "path", ("d", Path(line.PointsMm) + (line.Closed ? "Z" : string.Empty)), ("fill", line.Fill ?? "none"),
                                ("stroke", line.WidthMm > 0 ? line.Colour : "none"), ("stroke-width", N(line.WidthMm)), ("stroke-linejoin", "round"));
                            if (line.Dashed)
                            {
                                w.WriteAttributeString("stroke-dasharray", "2 1.5");
                            }

                            w.WriteEndElement();
                            break;
                        case DotMark dot:
                            Start("circle", ("cx", N(dot.CentreMm.X)), ("cy", N(dot.CentreMm.Y)), ("r", N(dot.RadiusMm)), ("fill", dot.Fill ?? "none"), ("stroke", dot.Colour), ("stroke-width", N(dot.WidthMm)));
                            w.WriteEndElement();
                            break;
                        case TextMark words:
                            Start(
                                "text", ("x", N(words.AtMm.X)), ("y", N(words.AtMm.Y)), ("font-size", N(words.SizeMm)), ("font-family", words.Heading ? "Heading, serif" : "Reading, sans-serif"), ("fill", words.Colour),
                                ("text-anchor", words.Align switch { Align.Middle => "middle", Align.Right => "end", _ => "start" }));
                            w.WriteString(words.Text);
                            w.WriteEndElement();
                            break;
                    }
                }
            }

            void Start(string element, params (string Name, string Value)[] attributes)
            {
                w.WriteStartElement(element, Ns);
                foreach (var (key, value) in attributes)
                {
                    w.WriteAttributeString(key, value);
                }
            }
        }

        return text.ToString();
    }

    private static string Path(IReadOnlyList<Pt> points) => string.Concat(points.Select((p, i) => $"{(i == 0 ? "M" : "L")}{N(p.X)} {N(p.Y)}"));

    private static string N(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);
}
