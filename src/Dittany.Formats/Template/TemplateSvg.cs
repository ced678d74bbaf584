using System.Globalization;
using System.Text;
using System.Xml;
using Dittany.Core.Geometry;

namespace Dittany.Formats.Template;

/// <summary>Writes a template as one SVG at 1:1: its units are millimetres, its size is stated in them. No script, no outside reference.</summary>
public static class TemplateSvg
{
    /// <summary>Room under the design for the words and the check line, in mm.</summary>
    private const double FootMm = 30;

    /// <summary>The SVG as text.</summary>
    public static string Write(TemplateSheet sheet)
    {
        var width = Math.Max(sheet.WidthMm, TemplateSheet.CheckLineMm + 20);
        var height = sheet.HeightMm + FootMm;
        var shift = (width - sheet.WidthMm) / 2;
        var text = new StringBuilder();
        using (var w = XmlWriter.Create(text, new XmlWriterSettings { Indent = true, OmitXmlDeclaration = true, NewLineChars = "\n", CheckCharacters = false }))
        {
            w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            w.WriteAttributeString("width", $"{N(width)}mm");
            w.WriteAttributeString("height", $"{N(height)}mm");
            w.WriteAttributeString("viewBox", $"0 0 {N(width)} {N(height)}");
            w.WriteElementString("title", "http://www.w3.org/2000/svg", sheet.Title);
            Line(w, "centre-line", shift + sheet.CentreXMm, 0, shift + sheet.CentreXMm, sheet.HeightMm, dashed: true);
            foreach (var baseline in sheet.BaselinesMm)
            {
                Line(w, "base-line", 0, baseline, width, baseline, dashed: true);
            }

            foreach (var line in sheet.Lines)
            {
                w.WriteStartElement("path");
                w.WriteAttributeString("class", "mark");
                w.WriteAttributeString("d", Path(line, shift));
                w.WriteAttributeString("fill", "none");
                w.WriteAttributeString("stroke", "#000");
                w.WriteAttributeString("stroke-width", "0.35");
                w.WriteEndElement();
            }

            Words(w, 10, sheet.HeightMm + 8, 5, Short(sheet.Title, width));
            Words(w, 10, sheet.HeightMm + 14, 3.2, sheet.MirrorWords);
            Line(w, "check-line", 10, sheet.HeightMm + 20, 10 + TemplateSheet.CheckLineMm, sheet.HeightMm + 20, dashed: false);
            Words(w, 10, sheet.HeightMm + 25, 2.4, TemplateSheet.CheckWords);
            w.WriteEndElement();
        }

        return text.ToString();
    }

    /// <summary>As much of a title as goes into the width; a letter is about half its size wide.</summary>
    private static string Short(string title, double widthMm)
    {
        var most = (int)((widthMm - 20) / 2.6);
        return title.Length <= most ? title : title[..(most - 1)].TrimEnd() + "…";
    }

    private static string Path(TemplateLine line, double shift)
    {
        var d = new StringBuilder();
        foreach (var p in line.PointsMm)
        {
            d.Append(d.Length == 0 ? 'M' : 'L').Append(N(p.X + shift)).Append(' ').Append(N(p.Y));
        }

        return line.Closed ? d.Append('Z').ToString() : d.ToString();
    }

    private static void Line(XmlWriter w, string name, double x1, double y1, double x2, double y2, bool dashed)
    {
        w.WriteStartElement("line");
        w.WriteAttributeString("class", name);
        w.WriteAttributeString("x1", N(x1));
        w.WriteAttributeString("y1", N(y1));
        w.WriteAttributeString("x2", N(x2));
        w.WriteAttributeString("y2", N(y2));
        w.WriteAttributeString("stroke", dashed ? "#6e6e6e" : "#000");
        w.WriteAttributeString("stroke-width", dashed ? "0.2" : "0.35");
        if (dashed)
        {
            w.WriteAttributeString("stroke-dasharray", "2 1.5");
        }

        w.WriteEndElement();
    }

    private static void Words(XmlWriter w, double x, double y, double sizeMm, string words)
    {
        w.WriteStartElement("text");
        w.WriteAttributeString("x", N(x));
        w.WriteAttributeString("y", N(y));
        w.WriteAttributeString("font-size", N(sizeMm));
        w.WriteAttributeString("font-family", "sans-serif");
        w.WriteString(words);
        w.WriteEndElement();
    }

    private static string N(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);
}
