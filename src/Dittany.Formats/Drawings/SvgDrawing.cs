using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using System.Xml;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using SkiaSharp;

namespace Dittany.Formats.Drawings;

/// <summary>
/// A drawing read from SVG: its parts, how wide it is where the file says so in lengths, and what of the file was not used.
/// </summary>
public sealed record ReadDrawing(Figure? Figure, double? WidthMm, IReadOnlyList<string> NotUsed, string? Fault);

/// <summary>
/// Drawings of her own as SVG (W3C, SVG 1.1): paths, the basic shapes, groups, transforms, units and the view box. Strokes become lines,
/// fills become shapes, tiny circles dots. No pictures, no letters, no styles of a sheet; what is left out is told. A file is read with no
/// document type, nothing outside it is ever fetched, and what is hostile is refused in a sentence.
/// </summary>
public static class SvgDrawing
{
    public const int MostBytes = 2 << 20;

    /// <summary>Pieces of curve a drawing may have: far more than a needle makes.</summary>
    public const int MostPieces = 20_000;

    private const int MostDepth = 40;

    private const int MostParts = Core.Jobs.MotifLimits.MostParts;

    /// <summary>A round up to this share of the drawing across is a dot.</summary>
    private const double DotShare = 0.025;

    /// <summary>Millimetres to a unit of length (CSS Values and Units: an inch has 96 px, 72 pt, 6 pc).</summary>
    private static readonly Dictionary<string, double> Units = new(StringComparer.OrdinalIgnoreCase)
    {
        ["mm"] = 1,
        ["cm"] = 10,
        ["in"] = 25.4,
        ["px"] = 25.4 / 96,
        ["pt"] = 25.4 / 72,
        ["pc"] = 25.4 / 6,
        [""] = 25.4 / 96
    };

    private static readonly Regex NumberPattern = new(@"[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?",
        RegexOptions.CultureInvariant | RegexOptions.NonBacktracking);

    /// <summary>Layers to each side of the usual one.</summary>
    private const int MostLayers = 99;

    /// <summary>A role told in our own way may be any short name: back-petal.</summary>
    private static bool IsRole(string told) =>
        told.Length <= 40 && told.Split('-').All(w => w.Length > 0 && w.All(char.IsAsciiLetterLower));

    private static readonly string[] Roles = ["stem", "outline", "leaf", "vein", "petal", "centre", "dot"];

    /// <summary>Reads a drawing; never throws on what the bytes hold.</summary>
    public static ReadDrawing Read(byte[] svg)
    {
        if (svg.Length > MostBytes)
        {
            return Refused(
                $"The drawing has {Say.Number(svg.Length / 1048576.0)} MB, and {MostBytes >> 20} is the most: simplify it first.");
        }

        var settings = new XmlReaderSettings
        {
            DtdProcessing = DtdProcessing.Prohibit,
            XmlResolver = null,
            MaxCharactersInDocument = MostBytes,
            IgnoreComments = true,
            IgnoreProcessingInstructions = true,
            CloseInput = true
        };
        try
        {
            using var reader = XmlReader.Create(new MemoryStream(svg), settings);
            return new Reading(reader).Whole();
        }
        catch (XmlException e)
        {
            return Refused(e.Message.Contains("DTD", StringComparison.Ordinal)
                ? "The drawing brings a document type with it, which could fetch or multiply things: save it as plain SVG."
                : "This is no sound SVG: it is broken off, or something else. Save it once more as plain SVG.");
        }
        catch (TooMuchException e)
        {
            return Refused(e.Message);
        }
    }

    /// <summary>
    /// A drawing as SVG, in millimetres: lines as strokes, shapes filled lightly, dots as small rounds, each with its role. Read back it is
    /// the same drawing.
    /// </summary>
    public static string Write(Figure figure, string name, double widthMm)
    {
        var drawn = figure.Centred();
        var scale = drawn.Width > 0 ? widthMm / drawn.Width : 1;
        drawn = drawn.Scaled(scale);
        var heightMm = drawn.Height;
        const double Margin = 2;
        var dot = Math.Max(0.2, DotShare * 0.4 * Math.Max(widthMm, heightMm));
        using var svg = new Svg(decimals: 4, lines: true);
        svg.Open(
            "svg", ("width", $"{svg.Number(widthMm + (2 * Margin))}mm"), ("height", $"{svg.Number(heightMm + (2 * Margin))}mm"),
            ("viewBox", $"{svg.Number((-widthMm / 2) - Margin)} {svg.Number((-heightMm / 2) - Margin)} "
                + $"{svg.Number(widthMm + (2 * Margin))} {svg.Number(heightMm + (2 * Margin))}"));
        svg.Open("title").Text(name).Close();
        foreach (var part in drawn.Parts)
        {
            if (part.Kind == FigureKind.Dot)
            {
                svg.Empty("circle", ("data-role", part.Role), ("data-layer", part.Layer), ("cx", part.Middle.X), ("cy", part.Middle.Y), ("r", dot));
            }
            else
            {
                svg.Empty("path", ("data-role", part.Role), ("data-layer", part.Layer), ("d", PathOf(part)),
                    ("fill-rule", "evenodd"), ("fill", part.Kind == FigureKind.Shape ? "#dfe6da" : "none"), ("stroke", "#26352c"), ("stroke-width", "0.4"));
            }
        }

        return svg.Close().ToString();
    }

    /// <summary>A part as path data, to be filled by the rule of even and odd.</summary>
    public static string PathOf(FigurePart part) => string.Join(' ', part.Holes.Prepend(part.Stroke).Select(PathOf));

    /// <summary>A stroke as path data.</summary>
    public static string PathOf(Stroke stroke)
    {
        var d = new StringBuilder();
        void Add(Pt p) => d.Append(CultureInfo.InvariantCulture, $" {Math.Round(p.X, 4)} {Math.Round(p.Y, 4)}");
        d.Append('M');
        Add(stroke.Start);
        foreach (var c in stroke.Curves)
        {
            d.Append(c.IsStraight ? 'L' : 'C');
            if (!c.IsStraight)
            {
                Add(c.P1);
                Add(c.P2);
            }

            Add(c.P3);
        }

        return stroke.Closed ? d.Append('Z').ToString() : d.ToString();
    }

    private static ReadDrawing Refused(string fault) => new(null, null, [], fault);

    private sealed class TooMuchException(string message) : Exception(message);

    /// <summary>How something is painted, as it comes down from the groups round it.</summary>
    private sealed record Paint(SKMatrix Matrix, bool Filled, bool Stroked, string? Role, int Layer = 0, bool EvenOdd = false);

    private sealed class Reading(XmlReader reader)
    {
        private readonly List<(string Role, Stroke Stroke, double? Round, int Layer, IReadOnlyList<Stroke> Holes)> _found = [];
        private readonly SortedDictionary<string, int> _notUsed = new(StringComparer.Ordinal);
        private int _pieces;
        private double? _widthMm;

        public ReadDrawing Whole()
        {
            if (reader.MoveToContent() != XmlNodeType.Element || reader.LocalName != "svg")
            {
                return Refused("This is no SVG drawing.");
            }

            var root = Root();
            Inside(root, 1);
            if (_found.Count == 0)
            {
                return Refused(_notUsed.Count == 0 ? "The drawing is empty."
                    : $"There is nothing in the drawing that a needle could follow, only {Say.List(_notUsed.Keys.ToArray())}. Turn "
                        + $"letters and pictures into paths first.");
            }

            var all = new Figure(_found.Select(f => new FigurePart(f.Role, f.Stroke.Closed ? FigureKind.Shape : FigureKind.Line,
                f.Stroke)).ToArray());
            var size = Math.Max(all.Width, all.Height);
            if (size < 1e-6)
            {
                return Refused("The drawing has no size: all of it lies in one point.");
            }

            var parts = _found.Select(f => f.Round is { } across && across <= DotShare * size
                ? FigurePart.Dot("dot", Pt.Lerp(f.Stroke.Start, f.Stroke.Curves[f.Stroke.Curves.Count / 2].P0, 0.5)) with { Layer = f.Layer }
                : new FigurePart(f.Role, f.Stroke.Closed ? FigureKind.Shape : FigureKind.Line, f.Stroke, Layer: f.Layer)
                {
                    Holes = f.Holes,
                }).ToArray();
            return new ReadDrawing(new Figure(parts).Centred(), _widthMm,
                _notUsed.Select(n => n.Value == 1 ? n.Key : $"{n.Key} ({n.Value} times)").ToArray(), null);
        }

        private Paint Root()
        {
            var (width, height) = (Length(reader.GetAttribute("width")), Length(reader.GetAttribute("height")));
            var matrix = SKMatrix.Identity;
            if (Numbers(reader.GetAttribute("viewBox")) is [_, _, > 0, > 0] box)
            {
                // The box is laid into the size, proportions kept; without a size a unit is a pixel.
                var scale = Math.Min((width ?? box[2] * Units[""]) / box[2], (height ?? double.PositiveInfinity) / box[3]);
                matrix = SKMatrix.CreateScale((float)scale, (float)scale);
            }
            else
            {
                matrix = SKMatrix.CreateScale((float)Units[""], (float)Units[""]);
            }

            _widthMm = width;
            return Painted(new Paint(matrix, true, false, null));
        }

        private void Inside(Paint paint, int depth)
        {
            if (depth > MostDepth)
            {
                throw new TooMuchException($"The drawing is nested deeper than {MostDepth} groups: ungroup it first.");
            }

            if (reader.IsEmptyElement)
            {
                return;
            }

            var end = reader.Depth;
            while (reader.Read() && !(reader.NodeType == XmlNodeType.EndElement && reader.Depth == end))
            {
                if (reader.NodeType != XmlNodeType.Element)
                {
                    continue;
                }

                switch (reader.LocalName)
                {
                    case var _ when Hidden():
                        Note("something hidden");
                        Skip();
                        break;
                    case "svg":
                        Inside(Painted(Framed(paint)), depth + 1);
                        break;
                    case "g" or "a" or "switch":
                        Inside(Painted(paint), depth + 1);
                        break;
                    case "path" or "rect" or "circle" or "ellipse" or "line" or "polyline" or "polygon":
                        Shape(Painted(paint));
                        Skip();
                        break;
                    case "title" or "desc" or "metadata":
                        Skip();
                        break;
                    default:
                        Note(reader.LocalName switch
                        {
                            "text" or "tspan" => "letters",
                            "image" => "a picture",
                            "use" or "symbol" =>
                            "a repeated part",
                            "style" => "a style sheet",
                            "script" => "a script",
                            "linearGradient" or "radialGradient" or "pattern" => "a gradient or pattern",
                            "clipPath" or "mask" or "filter" => "a mask or filter",
                            "defs" => "definitions",
                            "foreignObject" =>
                            "foreign content",
                            "animate" or "animateTransform" or "set" => "a movement",
                            var other => $"<{other}>"
                        });
                        Skip();
                        break;
                }
            }
        }

        private void Skip()
        {
            if (!reader.IsEmptyElement)
            {
                var end = reader.Depth;
                while (reader.Read() && !(reader.NodeType == XmlNodeType.EndElement && reader.Depth == end))
                {
                    if (reader.Depth > end + MostDepth)
                    {
                        throw new TooMuchException($"The drawing is nested deeper than {MostDepth} groups: ungroup it first.");
                    }
                }
            }
        }

        private void Note(string what) => _notUsed[what] = _notUsed.GetValueOrDefault(what) + 1;

        /// <summary>A drawing within the drawing: at its own place, its view box laid into its own size.</summary>
        private Paint Framed(Paint outer)
        {
            double? A(string name) => Length(reader.GetAttribute(name)) is { } mm ? mm / Units[""] : null;
            var matrix = SKMatrix.Concat(outer.Matrix, SKMatrix.CreateTranslation((float)(A("x") ?? 0), (float)(A("y") ?? 0)));
            if (Numbers(reader.GetAttribute("viewBox")) is [var left, var top, > 0 and var wide, > 0 and var high])
            {
                var (width, height) = (A("width") ?? wide, A("height") ?? high);
                var scale = Math.Min(width / wide, height / high);
                matrix = SKMatrix.Concat(matrix, SKMatrix.CreateTranslation((float)((width - (wide * scale)) / 2),
                    (float)((height - (high * scale)) / 2)));
                matrix = SKMatrix.Concat(SKMatrix.Concat(matrix, SKMatrix.CreateScale((float)scale, (float)scale)),
                    SKMatrix.CreateTranslation((float)-left, (float)-top));
            }

            return outer with { Matrix = matrix };
        }

        private bool Hidden() => Styled("display") == "none" || Styled("visibility") is "hidden" or "collapse";

        private string? Styled(string name) => Style().GetValueOrDefault(name) ?? reader.GetAttribute(name);

        private Dictionary<string, string> Style() =>
            (reader.GetAttribute("style") ?? string.Empty).Split(';').Select(s => s.Split(':', 2)).Where(s => s.Length == 2).GroupBy(s =>
                s[0].Trim(), StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.Last()[1].Trim(), StringComparer.Ordinal);

        private Paint Painted(Paint outer)
        {
            var (fill, stroke) = (Styled("fill"), Styled("stroke"));
            if (Style().ContainsKey("transform"))
            {
                Note("a transformation that cannot be read");
            }

            var told = reader.GetAttribute("data-role");
            var role = told ?? reader.GetAttribute("class") ?? reader.GetAttribute("id");
            return new Paint(
                reader.GetAttribute("transform") is { } transform ? SKMatrix.Concat(outer.Matrix, Transform(transform)) : outer.Matrix,
                fill is null ? outer.Filled : fill is not "none" and not "transparent",
                stroke is null ? outer.Stroked : stroke is not "none" and not "transparent",
                Array.Find(Roles, r => string.Equals(r, role, StringComparison.OrdinalIgnoreCase))
                    ?? (told is not null && IsRole(told) ? told : outer.Role),
                int.TryParse(reader.GetAttribute("data-layer"), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var layer)
                    ? Math.Clamp(layer, -MostLayers, MostLayers) : outer.Layer,
                Styled("fill-rule") is { } rule ? rule == "evenodd" : outer.EvenOdd);
        }

        private void Shape(Paint paint)
        {
            if (!paint.Filled && !paint.Stroked)
            {
                Note("something that is not painted");
                return;
            }

            double A(string name) => Length(reader.GetAttribute(name)) is { } mm ? mm / Units[""] : 0;
            var (data, round) = reader.LocalName switch
            {
                "path" => (reader.GetAttribute("d") ?? string.Empty, 0.0),
                "line" => (D($"M{A("x1")} {A("y1")}L{A("x2")} {A("y2")}"), 0),
                "rect" => (Rectangle(A("x"), A("y"), A("width"), A("height"), A("rx"), A("ry")), 0),
                "circle" => (Ellipse(A("cx"), A("cy"), A("r"), A("r")), A("r")),
                "ellipse" => (Ellipse(A("cx"), A("cy"), A("rx"), A("ry")), Math.Max(A("rx"), A("ry"))),
                "polygon" => (Points() is { Length: > 0 } p ? p + "Z" : string.Empty, 0),
                _ => (Points(), 0),
            };
            using var path = data.Length == 0 ? null : SKPath.ParseSvgPathData(data);
            if (path is null || path.IsEmpty)
            {
                Note(Numbers(reader.GetAttribute("points")) is null ? "points that cannot be read" : "a shape without points");
                return;
            }

            using var moved = new SKPath();
            path.Transform(paint.Matrix, moved);
            var drawn = PathStrokes.Of(moved, close: paint.Filled && !paint.Stroked);
            foreach (var (stroke, holes) in paint.Filled ? Contours.Nested(drawn, paint.EvenOdd) : [.. drawn.Select(s => new Contour(s,
                []))])
            {
                _pieces += stroke.Curves.Count + holes.Sum(h => h.Curves.Count);
                if (_pieces > MostPieces || _found.Count >= MostParts)
                {
                    throw new TooMuchException(
                        $"The drawing has more than {(_pieces > MostPieces ? $"{MostPieces} pieces of line" : $"{MostParts} parts")}, far "
                            + $"more than a needle makes: simplify it first.");
                }

                if (holes.Prepend(stroke).SelectMany(s => s.Curves).SelectMany(c => new[] { c.P0, c.P1, c.P2, c.P3 }).Any(p =>
                    !double.IsFinite(p.X) || !double.IsFinite(p.Y)
                    || Math.Abs(p.X) > 1e6 || Math.Abs(p.Y) > 1e6))
                {
                    Note("a shape out of all measure");
                    continue;
                }

                var scale = Math.Sqrt(Math.Abs((paint.Matrix.ScaleX * paint.Matrix.ScaleY) - (paint.Matrix.SkewX * paint.Matrix.SkewY)));
                _found.Add((paint.Role ?? (stroke.Closed ? "outline" : "stem"), stroke, round > 0 ? 2 * round * scale
                    : null, paint.Layer, holes));
            }
        }

        private string Points()
        {
            var numbers = Numbers(reader.GetAttribute("points")) ?? [];
            return numbers.Length < 4 ? string.Empty : string.Concat(numbers.Chunk(2).Where(c => c.Length == 2).Select((c, i) =>
                D($"{(i == 0 ? 'M' : 'L')}{c[0]} {c[1]}")));
        }

        private static string D(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);

        private static string Ellipse(double cx, double cy, double rx, double ry) => rx <= 0 || ry <= 0 ? string.Empty
            : D($"M{cx - rx} {cy}A{rx} {ry} 0 1 1 {cx + rx} {cy}A{rx} {ry} 0 1 1 {cx - rx} {cy}Z");

        private static string Rectangle(double x, double y, double w, double h, double rx, double ry)
        {
            if (w <= 0 || h <= 0)
            {
                return string.Empty;
            }

            (rx, ry) = (Math.Min(rx > 0 ? rx : ry, w / 2), Math.Min(ry > 0 ? ry : rx, h / 2));
            return rx <= 0
                ? D($"M{x} {y}H{x + w}V{y + h}H{x}Z")
                : D($"M{x + rx} {y}H{x + w - rx}A{rx} {ry} 0 0 1 {x + w} {y + ry}V{y + h - ry}A{rx} {ry} 0 0 1 {x + w - rx} ")
                    + D($"{y + h}H{x + rx}A{rx} {ry} 0 0 1 {x} {y + h - ry}V{y + ry}A{rx} {ry} 0 0 1 {x + rx} {y}Z");
        }

        private static double? Length(string? text)
        {
            if (text is null)
            {
                return null;
            }

            var unit = text.Trim().TrimStart("+-0123456789.eE".ToCharArray());
            return Units.TryGetValue(unit, out var mm) && double.TryParse(text.Trim()[..^unit.Length], NumberStyles.Float,
                CultureInfo.InvariantCulture, out var n) && double.IsFinite(n) ? n * mm : null;
        }

        /// <summary>
        /// Numbers as SVG writes them, which may stand with nothing between them ("10-5", ".5.5"); null where anything else stands there.
        /// </summary>
        private static double[]? Numbers(string? text)
        {
            var numbers = new List<double>();
            var at = 0;
            foreach (var match in NumberPattern.EnumerateMatches(text ?? string.Empty))
            {
                if (text.AsSpan(at, match.Index - at).ContainsAnyExcept(" ,\t\n\r")
                    || !double.TryParse(text.AsSpan(match.Index, match.Length), NumberStyles.Float, CultureInfo.InvariantCulture,
                    out var n) || !double.IsFinite(n))
                {
                    return null;
                }

                numbers.Add(n);
                at = match.Index + match.Length;
            }

            return (text ?? string.Empty).AsSpan(at).ContainsAnyExcept(" ,\t\n\r") ? null : [.. numbers];
        }

        /// <summary>Calls one after the other, the first outermost; one that cannot be read is told of and left out.</summary>
        private SKMatrix Transform(string text)
        {
            var matrix = SKMatrix.Identity;
            foreach (var call in text.Split(')', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
            {
                var parts = call.Trim(' ', ',').Split('(', 2);
                var n = parts.Length == 2 ? (Numbers(parts[1]) ?? []).Select(v => (float)v).ToArray() : [];
                SKMatrix? one = (parts[0].Trim(), n.Length) switch
                {
                    ("translate", 1) => SKMatrix.CreateTranslation(n[0], 0),
                    ("translate", 2) => SKMatrix.CreateTranslation(n[0], n[1]),
                    ("scale", 1) => SKMatrix.CreateScale(n[0], n[0]),
                    ("scale", 2) => SKMatrix.CreateScale(n[0], n[1]),
                    ("rotate", 1) => SKMatrix.CreateRotationDegrees(n[0]),
                    ("rotate", 3) => SKMatrix.CreateRotationDegrees(n[0], n[1], n[2]),
                    ("skewX", 1) => SKMatrix.CreateSkew((float)Math.Tan(n[0] * Math.PI / 180), 0),
                    ("skewY", 1) => SKMatrix.CreateSkew(0, (float)Math.Tan(n[0] * Math.PI / 180)),
                    ("matrix", 6) => new SKMatrix(n[0], n[2], n[4], n[1], n[3], n[5], 0, 0, 1),
                    _ => null,
                };
                if (one is null)
                {
                    Note("a transformation that cannot be read");
                }

                matrix = one is { } m ? SKMatrix.Concat(matrix, m) : matrix;
            }

            return matrix;
        }
    }
}
