using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// The drawing in the middle of the bench: item, field, words on both faces, tapes along its edges, measurements from landmarks.
/// </summary>
public static class BenchDrawing
{
    private const string TapeYellow = "#e6bd4f";
    private const string TapeInk = "#3d3206";

    /// <summary>
    /// Height over width of the frame on a screen of 1280 × 800. On other screens the drawing keeps its top left corner, where the tapes
    /// meet.
    /// </summary>
    public const double Shape = 0.95;

    /// <summary>Ways to look at a plan: the whole item, its lower part, the words.</summary>
    public static IReadOnlyList<View> Views(Plan plan)
    {
        var (left, top, w, h) = Around(plan);
        var box = WordsOf(plan);
        var middle = new Pt(box.X + (box.Width / 2), box.Y + (box.Height / 2));
        var near = Math.Max(box.Width, 60) * 1.3;
        var tall = near * Shape;

        // What is measured from comes into the picture where the words leave room for it.
        var level = plan.Space.LevelLine.From.Y;
        var partWidth = Math.Max(w * 0.37, box.Width * 1.7);
        var partHeight = partWidth * Shape;
        var (highest, lowest) = (Math.Min(box.Y, level) - 14, Math.Max(box.Y + box.Height, level) + 14);
        var both = lowest - highest;
        if (both > partHeight && both < partHeight * 1.7)
        {
            (partWidth, partHeight) = (both / Shape, both);
        }

        var partTop = both <= partHeight ? ((highest + lowest) / 2) - (partHeight / 2) : middle.Y - (partHeight / 2);
        var wholeHeight = Math.Max(h * 1.16, w * 1.12 * Shape);
        var wholeWidth = wholeHeight / Shape;
        return
        [
            new View("part", "Where it goes", middle.X - (partWidth / 2), partTop, partWidth, partHeight),
            new View("whole", "The whole item", left + ((w - wholeWidth) / 2), top - ((wholeHeight - h) * 0.6), wholeWidth, wholeHeight),
            new View("close", "Close to", middle.X - (near / 2), middle.Y - (tall / 2), near, tall),
        ];
    }

    /// <summary>
    /// The box round the item: left, top, width, height. What stands beside the face is not counted, a strap may run out of the picture.
    /// </summary>
    private static (double Left, double Top, double Width, double Height) Around(Plan plan)
    {
        var outline = plan.Item.OutlineMm;
        var (left, top) = (outline.Min(p => p.X), outline.Min(p => p.Y));
        return (left, top, outline.Max(p => p.X) - left, outline.Max(p => p.Y) - top);
    }

    private static Box WordsOf(Plan plan) => plan.Elements.Select(e => e.BoxMm).Aggregate((a, b) =>
    {
        var (x, y) = (Math.Min(a.X, b.X), Math.Min(a.Y, b.Y));
        return new Box(x, y, Math.Max(a.X + a.Width, b.X + b.Width) - x, Math.Max(a.Y + a.Height, b.Y + b.Height) - y);
    });

    /// <summary>
    /// How a drawing is looked at: which part, in which units, how many stitches are worked on the face that works the piece, how many
    /// lengths are in the cloth.
    /// </summary>
    public sealed record Look(View View, Units Units, int At, int Done)
    {
        /// <summary>What lies at other places of the piece on the same face: seen, and not touched.</summary>
        public IReadOnlyList<PlannedElement> Beside { get; init; } = [];

        /// <summary>The one face that is drawn of a large plan; null draws all of them, and the page shows one.</summary>
        public string? Only { get; init; }

        internal bool Has(params string[] faces) => Only is null || faces.Contains(Only, StringComparer.Ordinal);
    }

    /// <summary>
    /// The drawing as SVG text. All faces are in it; the page shows one. What turns over for the back of the work hangs in a group about
    /// the middle of the words.
    /// </summary>
    public static string Draw(Plan plan, Look look, IReadOnlyList<PartTold>? parts = null)
    {
        using var svg = new Svg();
        var (view, px) = (look.View, look.View.Px);
        // Turned over about the middle of what is looked at, it stays in the frame.
        var middle = view.X + (view.Width / 2);
        svg.Open(
            "svg",
            ("class", plan.Item.Cloth.Dark ? "drawing on-dark" : "drawing"), ("role", parts?.Any(p => p.LinesMm.Count > 0 && p.Wished is { DirectionLines.Count: > 0 }) == true ? "group" : "img"),
            ("aria-labelledby", "drawing-title"),
            ("viewBox", $"{Svg.N(view.X)} {Svg.N(view.Y)} {Svg.N(view.Width)} {Svg.N(view.Height)}"),
                ("preserveAspectRatio", "xMinYMin meet"));
        svg.Open("title", ("id", "drawing-title")).Text(Told(plan, look.Units)).Close();
        Spread(svg);
        svg.Open("g", ("transform", $"translate({Svg.N(middle)} 0)")).Open("g", ("class", "turns")).Open("g",
            ("transform", $"translate({Svg.N(-middle)} 0)"));
        ItemDrawing.Draw(svg, ItemDrawing.Of(plan), "bench", px, look.Units);
        Print(svg, plan);
        LaidFlat(svg, plan, px);
        Beside(svg, look.Beside, px);
        Field(svg, plan, view, look.Units);
        SnapLines(svg, plan, px);
        svg.Open("g", ("class", "face-hoops"));
        if (look.Has("hoops"))
        {
            FaceDrawing.Hoops(svg, plan, px);
        }

        svg.Close().Open("g", ("class", "words"), ("data-x", plan.Elements[0].CentreMm.X), ("data-y", plan.Elements[0].CentreMm.Y));
        var grab = WordsOf(plan);
        svg.Empty("rect", ("class", "grab"), ("x", grab.X - (6 * px)), ("y", grab.Y - (6 * px)), ("width", grab.Width + (12 * px)),
            ("height", grab.Height + (12 * px)), ("fill", "#ffffff"), ("fill-opacity", 0));
        PaperShapesOf(svg, plan, px);
        svg.Open("g", ("class", "face-stitched"));
        CraftDrawing.Draw(svg, plan, px);
        foreach (var element in look.Has("stitched", "hoops", "metre") ? plan.AsTheyLie : [])
        {
            ThreadDrawing.Stitched(svg, element, px, "thread");
        }

        svg.Close().Open("g", ("class", "face-marks"));
        TackLine(svg, plan, px);
        CraftDrawing.Marks(svg, plan, px);
        foreach (var element in look.Has("marks") ? plan.Elements : [])
        {
            ThreadDrawing.Marks(svg, plan, element, px);
        }

        svg.Close().Open("g", ("class", "face-order"));
        if (look.Only is null)
        {
            FaceDrawing.Stitches(svg, plan, look.At, px);
        }
        else if (look.Has("order"))
        {
            FaceDrawing.WorkedUpTo(svg, plan, look.At, px);
        }

        FaceDrawing.SoFar(svg, plan, look.Done, px);
        svg.Close().Close().Open("g", ("class", "face-back"));
        if (look.Has("back"))
        {
            FaceDrawing.Back(svg, plan, px);
        }

        svg.Close();
        Lines(svg, parts ?? [], px);
        svg.Close().Close().Close();
        Measurements(svg, plan, view, look.Units);
        Tapes(svg, view, look.Units);
        return svg.Close().ToString();
    }

    /// <summary>Lines she drew for the direction of stitches, each with a dot at every bend that can be moved.</summary>
    private static void Lines(Svg svg, IReadOnlyList<PartTold> parts, double px)
    {
        if (parts.All(p => p.Wished is not { DirectionLines.Count: > 0 }))
        {
            return;
        }

        svg.Open("g", ("class", "lies"));
        foreach (var (part, at) in parts.Select((p, i) => (p, i)).Where(p => p.p.Wished is { DirectionLines.Count: > 0 }))
        {
            foreach (var (line, number) in part.LinesMm.Select((l, i) => (l, i)))
            {
                var points = string.Join(' ', line.Select(p => $"{Svg.N(p.X)},{Svg.N(p.Y)}"));
                svg.Empty("polyline", ("class", "lie-under"), ("points", points), ("stroke-width", 5 * px));
                svg.Empty("polyline", ("class", "lie-line"), ("points", points), ("stroke-width", 2 * px), ("data-line", $"{at}-{number}"));
                foreach (var (p, place) in line.Select((p, i) => (p, i)))
                {
                    svg.Empty("circle", ("class", "lie-dot"), ("id", $"lie-{at}-{number}-{place}"), ("cx", p.X), ("cy", p.Y), ("r", 6 * px),
                        ("tabindex", "0"), ("role", "button"), ("data-part", at), ("data-line", number), ("data-place", place),
                        ("aria-label", $"Dot {place + 1} of line {number + 1} for the {Say.Lower(part.Name)}: arrow keys move it 1 mm, "
                            + "with Shift 5 mm"));
                }
            }
        }

        svg.Close();
    }

    /// <summary>
    /// Paper shapes of what lies here, one of each wording and of each copy of a motif: unseen until one is pushed about.
    /// </summary>
    private static void PaperShapesOf(Svg svg, Plan plan, double px)
    {
        foreach (var element in plan.Elements.Where(e => e.Parts.Count > 0))
        {
            var copies = element.Parts.GroupBy(p => element.IsMotif ? p.Copy : 0).Where(g => g.Key >= 0).ToArray();
            foreach (var copy in copies)
            {
                var hull = Region.HullOf(copy.SelectMany(p => p.LineMm).ToArray());
                svg.Empty("path", ("class", "paper"), ("data-element", element.Id), ("data-copy", copies.Length > 1 ? copy.Key : -1),
                    ("data-x", element.CentreMm.X), ("data-y", element.CentreMm.Y), ("d", hull.Count > 2 ? Svg.Ring(hull) : Svg.Path(hull)),
                    ("stroke-width", 2 * px));
            }
        }
    }

    /// <summary>Threads of other places, as they are seen from here.</summary>
    private static void Beside(Svg svg, IReadOnlyList<PlannedElement> elements, double px)
    {
        foreach (var part in elements.SelectMany(e => e.Parts).GroupBy(p => (p.Colour, p.LineWidthMm)))
        {
            svg.Empty("path", ("class", "beside"), ("d", string.Concat(part.SelectMany(p => p.Stitches).Select(s => Svg.Path([s.FromMm, s.ToMm])))),
                ("fill", "none"), ("stroke", part.Key.Colour), ("stroke-width", Math.Max(part.Key.LineWidthMm, px)), ("stroke-linecap", "round"));
        }
    }

    /// <summary>What an eye a metre away makes of a point: the blur of the face that shows the piece from there.</summary>
    private static void Spread(Svg svg) =>
        svg.Open("filter", ("id", "spread"), ("x", "-5%"), ("y", "-5%"), ("width", "110%"), ("height", "110%"))
            .Empty("feGaussianBlur", ("stdDeviation", (Core.Words.Legibility.SpreadMm(1000) / 2).ToString("0.###",
                System.Globalization.CultureInfo.InvariantCulture))).Close();

    /// <summary>
    /// A busy print as it is met on the cloth: sprigs and dots a shade lighter and darker than the ground. Shown from a metre away, where
    /// it does its harm.
    /// </summary>
    private static void Print(Svg svg, Plan plan)
    {
        if (plan.Item.Cloth.Print is { } own)
        {
            svg.Open("g", ("class", "own-print")).Open("pattern", ("id", "own-print"), ("width", own.WideMm), ("height", own.HighMm),
                ("patternUnits", "userSpaceOnUse"), ("x", plan.Item.OutlineMm.Min(p => p.X)), ("y", plan.Item.OutlineMm.Min(p => p.Y)))
                .Empty("image", ("href", $"/pictures/{own.Picture}"), ("width", own.WideMm), ("height", own.HighMm), ("preserveAspectRatio", "none"))
                .Close();
            svg.Empty("path", ("d", Svg.Ring(plan.Item.OutlineMm)), ("fill", "url(#own-print)")).Close();
            return;
        }

        if (!plan.Item.Cloth.Busy)
        {
            return;
        }

        var (dark, light) = (plan.Item.Cloth.Dark ? "#000000" : "#5a4a3a", "#ffffff");
        svg.Open("g", ("class", "busy-print"));
        svg.Open("pattern", ("id", "busy"), ("width", 17), ("height", 13), ("patternUnits", "userSpaceOnUse"))
            .Empty("circle", ("cx", 4), ("cy", 3.4), ("r", 2.1), ("fill", light), ("fill-opacity", 0.4))
            .Empty("path", ("d", "M10 9C12 6 15 7 15.5 9.5C13 11 11 11 10 9Z"), ("fill", dark), ("fill-opacity", 0.32))
            .Empty("circle", ("cx", 13), ("cy", 2), ("r", 1.1), ("fill", dark), ("fill-opacity", 0.34))
            .Empty("path", ("d", "M1 10C2.4 7.6 5 8 5.6 10.2C3.8 11.6 2 11.6 1 10Z"), ("fill", light), ("fill-opacity", 0.34)).Close();
        svg.Empty("path", ("d", Svg.Ring(plan.Item.OutlineMm)), ("fill", "url(#busy)")).Close();
    }

    /// <summary>A small picture of a piece, for lists: the words with enough of the item round them to know it by.</summary>
    public static string Small(Plan plan, string id)
    {
        // Of several places the main one stands for the piece.
        plan = plan.At(null);
        var (left, top, w, h) = Around(plan);
        var box = WordsOf(plan);
        var side = Math.Max(box.Width * 1.25, Math.Min(w, h) * 0.8);
        var tall = side * 0.96;
        var x = Math.Clamp(box.X + (box.Width / 2) - (side / 2), left - (side * 0.06),
            Math.Max(left - (side * 0.06), left + w - (side * 0.94)));
        var y = Math.Clamp(box.Y + (box.Height / 2) - (tall / 2), top - (tall * 0.06),
            Math.Max(top - (tall * 0.06), top + h - (tall * 0.94)));
        using var svg = new Svg();
        svg.Open("svg", ("class", "small-drawing"), ("aria-hidden", "true"),
            ("viewBox", $"{Svg.N(x)} {Svg.N(y)} {Svg.N(side)} {Svg.N(tall)}"));
        ItemDrawing.Draw(svg, ItemDrawing.Of(plan), id, side / 240);
        CraftDrawing.Draw(svg, plan, 0.8, $"made-{id}");
        foreach (var element in plan.AsTheyLie)
        {
            ThreadDrawing.Stitched(svg, element, 0.8, $"thread-{id}");
        }

        return svg.Close().ToString();
    }

    /// <summary>A picture of a form with nothing on it yet; those of the catalogue are drawn once.</summary>
    public static string Bare(Core.Items.Form form) => form.Shelf == Core.Items.Shelf.Own ? DrawBare(form)
        : Drawn.GetOrAdd(form.Id, _ => DrawBare(form));

    private static readonly System.Collections.Concurrent.ConcurrentDictionary<string, string> Drawn = new(StringComparer.Ordinal);

    private static string DrawBare(Core.Items.Form form)
    {
        var drawn = form.At(form.UsualSize);
        var points = drawn.Outline.Concat(drawn.Behind.SelectMany(b => b)).ToArray();
        var (x0, y0, x1, y1) = (points.Min(p => p.X), points.Min(p => p.Y), points.Max(p => p.X), points.Max(p => p.Y));
        var side = Math.Max(x1 - x0, y1 - y0) * 1.06;
        using var svg = new Svg();
        svg.Open("svg", ("class", "form-drawing"), ("aria-hidden", "true"),
            ("viewBox", $"{Svg.N(((x0 + x1) / 2) - (side / 2))} {Svg.N(((y0 + y1) / 2) - (side / 2))} {Svg.N(side)} {Svg.N(side)}"));
        ItemDrawing.Draw(svg, ItemDrawing.Of(form, drawn), $"form-{form.Id}", side / 150);
        return svg.Close().ToString();
    }

    private static string Told(Plan plan, Units units)
    {
        var e = plan.Elements[0];
        return $"{plan.Item.FormName}, {plan.Item.SizeName}, with “{e.Text.ReplaceLineEndings(" ")}”, capitals "
            + $"{Tape.Length(e.CapHeightMm, units)}, {Tape.Length(e.BoxMm.Width, units)} wide.";
    }

    /// <summary>The item's own lines that words can be laid on; they are seen while the words are moved.</summary>
    private static void SnapLines(Svg svg, Plan plan, double px)
    {
        var (left, top, w, h) = Around(plan);
        svg.Open("g", ("class", "snaps"), ("aria-hidden", "true"));
        foreach (var snap in plan.Space.Snaps)
        {
            var across = snap.Axis == Core.Space.SnapAxis.Across;
            svg.Open("g", ("class", "snap"), ("data-axis", across ? "x" : "y"), ("data-at", snap.AtMm));
            svg.Empty(
                "line", ("x1", across ? snap.AtMm : left), ("y1", across ? top : snap.AtMm), ("x2", across ? snap.AtMm : left + w),
                    ("y2", across ? top + h : snap.AtMm),
                ("stroke", "#b0408a"), ("stroke-width", 1.2 * px), ("stroke-dasharray", $"{Svg.N(6 * px)} {Svg.N(3 * px)}"));
            var box = WordsOf(plan);
            svg.Label(
                snap.Name, ("x", across ? snap.AtMm + (5 * px) : box.X + box.Width + (8 * px)),
                    ("y", across ? box.Y - (10 * px) : snap.AtMm - (4 * px)), ("font-size", 12 * px),
                    ("fill", plan.Item.Cloth.Dark ? "#ffd9f0" : "#8f3a67"), ("class", "drawn-words"));
            svg.Close();
        }

        svg.Close();
    }

    /// <summary>
    /// What is folded over when worn, laid flat as it is marked and stitched: the fold, and the cloth above it that lies behind when worn.
    /// </summary>
    private static void LaidFlat(Svg svg, Plan plan, double px)
    {
        if (plan.Space.Face.Fold is not { } fold)
        {
            return;
        }

        var ink = plan.Item.Cloth.Dark ? "#ffd9f0" : "#8f3a67";
        svg.Open("g", ("class", "laid-flat"));
        svg.Open("title").Text(fold.Flat).Close();
        svg.Empty("path", ("d", Svg.Ring(fold.FlatOutline)), ("fill", "url(#weave-bench)"),
            ("stroke", ItemDrawing.Shade(plan.Item.Cloth.Colour, 0.6)), ("stroke-width", 1.3 * px),
            ("stroke-dasharray", $"{Svg.N(2 * px)} {Svg.N(3 * px)}"));
        svg.Empty("line", ("x1", fold.From.X), ("y1", fold.From.Y), ("x2", fold.To.X), ("y2", fold.To.Y), ("stroke", ink),
            ("stroke-width", 1.6 * px), ("stroke-dasharray", $"{Svg.N(9 * px)} {Svg.N(5 * px)}"));
        var top = fold.Side == FoldSide.Top;
        svg.Label($"laid flat: the fold; {(top ? "above" : "below")} it lies what is behind when worn",
            ("x", (fold.From.X + fold.To.X) / 2), ("y", fold.From.Y + ((top ? -6 : 16) * px)), ("text-anchor", "middle"),
            ("font-size", 12 * px), ("fill", ink), ("class", "drawn-words"));
        svg.Close();
    }

    private static void Field(Svg svg, Plan plan, View view, Units units)
    {
        var px = view.Px;
        var pale = plan.Item.Cloth.Dark ? "#cfd8d0" : "#33473c";
        svg.Open("g", ("class", "field"));
        svg.Open("title").Text(
            $"The field: where stitches may lie. {plan.Decision("space.zone")!.Because[0].In(units)} Each seam and hem tells its own "
                + $"clearance.").Close();
        foreach (var ring in plan.Space.FieldMm)
        {
            svg.Empty("path", ("d", Svg.Ring(ring)), ("fill", plan.Item.Cloth.Dark ? "#ffffff" : "#fffdf6"),
                ("fill-opacity", plan.Item.Cloth.Dark ? 0.05 : 0.25), ("stroke", pale), ("stroke-width", px),
                ("stroke-dasharray", $"{Svg.N(5 * px)} {Svg.N(4 * px)}"));
        }

        if (plan.Space.FieldMm.Count > 0)
        {
            var ring = plan.Space.FieldMm[0];
            var top = ring.Min(p => p.Y) + (16 * px);
            svg.Label("the field", ("x", ring.Min(p => p.X) + (6 * px)),
                ("y", top > view.Y + (40 * px) ? top : ring.Max(p => p.Y) - (7 * px)), ("font-size", 12 * px), ("fill", pale),
                ("class", "drawn-words"));
        }

        var fold = plan.Space.CentreLine;
        svg.Empty("line", ("x1", fold.From.X), ("y1", fold.From.Y), ("x2", fold.To.X), ("y2", fold.To.Y), ("stroke", pale),
            ("stroke-width", 0.8 * px), ("stroke-dasharray", $"{Svg.N(9 * px)} {Svg.N(5 * px)} {Svg.N(2 * px)} {Svg.N(5 * px)}"),
            ("opacity", 0.6));
        svg.Close();
    }

    /// <summary>Where film is tacked on: 10 mm round the words.</summary>
    private static void TackLine(Svg svg, Plan plan, double px)
    {
        if (plan.Transfer.Method.Id is not ("film-traced" or "tissue"))
        {
            return;
        }

        foreach (var box in plan.Elements.Select(e => e.BoxMm))
        {
            svg.Empty("rect", ("x", box.X - 10), ("y", box.Y - 10), ("width", box.Width + 20), ("height", box.Height + 20),
                ("fill", "#ffffff"), ("fill-opacity", 0.22), ("stroke", "#b0408a"), ("stroke-width", 1.3 * px),
                ("stroke-dasharray", $"{Svg.N(7 * px)} {Svg.N(3 * px)}"));
        }
    }

    private static void Measurements(Svg svg, Plan plan, View view, Units units)
    {
        var px = view.Px;
        var element = plan.Elements[0];
        var level = plan.Space.LevelLine.From.Y;
        var box = element.BoxMm;
        var labels = new FreeLabel(plan.Space.Obstacles);
        svg.Open("g", ("class", "measures"));

        // How wide, under the words.
        var below = box.Y + box.Height + (16 * px);
        Measure(svg, new Pt(box.X, below), new Pt(box.X + box.Width, below), Tape.Length(Math.Round(box.Width), units), px,
            labels);

        // How far from what is measured from, beside them.
        var aside = Math.Min(box.X + box.Width + (34 * px), view.X + view.Width - (40 * px));
        if (level > view.Y && level < view.Y + view.Height)
        {
            Measure(svg, new Pt(aside, element.BaselineMm.Y), new Pt(aside, level),
                Tape.Length(Math.Round(Math.Abs(level - element.BaselineMm.Y), MidpointRounding.AwayFromZero), units), px, labels);
        }

        // Where the place is found from an edge and not along a crease, how far the middle of the words is from it.
        var edge = plan.Space.CentreLine.From.X;
        if ((edge < box.X || edge > box.X + box.Width) && edge > view.X && edge < view.X + view.Width)
        {
            var above = box.Y - (18 * px);
            Measure(svg, new Pt(box.X + (box.Width / 2), above), new Pt(edge, above),
                Tape.Length(Math.Round(Math.Abs(edge - element.BaselineMm.X), MidpointRounding.AwayFromZero), units), px, labels);
        }

        svg.Close();
    }

    private static void Measure(Svg svg, Pt a, Pt b, string words, double px, FreeLabel labels)
    {
        var level = Math.Abs(a.Y - b.Y) < Math.Abs(a.X - b.X);
        var (ex, ey) = level ? (0.0, 5 * px) : (5 * px, 0.0);
        svg.Empty(
            "path",
            ("d", $"M{Svg.N(a.X)} {Svg.N(a.Y)}L{Svg.N(b.X)} {Svg.N(b.Y)}M{Svg.N(a.X - ex)} {Svg.N(a.Y - ey)}L{Svg.N(a.X + ex)} "
                + $"{Svg.N(a.Y + ey)}M{Svg.N(b.X - ex)} {Svg.N(b.Y - ey)}L{Svg.N(b.X + ex)} {Svg.N(b.Y + ey)}"),
            ("stroke", "#b98d1d"), ("stroke-width", 1.4 * px), ("fill", "none"));
        var width = (words.Length * 7.4 * px) + (12 * px);
        var middle = labels.Along(a, b, width, 20 * px);
        svg.Empty("rect", ("x", middle.X - (width / 2)), ("y", middle.Y - (10 * px)), ("width", width), ("height", 20 * px),
            ("rx", 2 * px), ("fill", TapeYellow));
        svg.Label(words, ("x", middle.X), ("y", middle.Y + (4.6 * px)), ("font-size", 13 * px), ("text-anchor", "middle"),
            ("fill", TapeInk), ("class", "drawn-words"));
    }

    /// <summary>Tapes along the top and left edge of the view, from the datum, in centimetres or in inches with their eighths.</summary>
    private static void Tapes(Svg svg, View view, Units units)
    {
        var px = view.Px;
        var wide = 22 * px;

        // The view keeps its shape, so that on a frame of another shape the tape must reach beyond it.
        const double Beyond = 0.8;
        var (x0, x1) = (view.X, view.X + (view.Width * (1 + Beyond)));
        var (y0, y1) = (view.Y, view.Y + (view.Height * (1 + Beyond)));
        svg.Open("g", ("class", "tape"), ("aria-hidden", "true"));
        svg.Empty("rect", ("x", x0), ("y", view.Y), ("width", x1 - x0), ("height", wide), ("fill", TapeYellow));
        svg.Empty("rect", ("x", view.X), ("y", y0), ("width", wide), ("height", y1 - y0), ("fill", TapeYellow));
        var (tick, half, label, unitMm) = Divided(units, px);
        var (top, left) = (new System.Text.StringBuilder(), new System.Text.StringBuilder());
        for (var n = (int)Math.Floor(x0 / tick); n * tick <= x1; n++)
        {
            var mm = n * tick;
            top.Append(CultureInfo.InvariantCulture,
                $"M{Svg.N(mm)} {Svg.N(view.Y + wide)}v{Svg.N(-wide * (n % label == 0 ? 0.62 : n % half == 0 ? 0.4 : 0.22))}");
            if (n % label == 0 && mm > view.X + wide)
            {
                svg.Label(Figure(mm / unitMm), ("x", mm + (2.5 * px)), ("y", view.Y + (12 * px)), ("font-size", 11 * px),
                    ("fill", TapeInk), ("class", "drawn-words"));
            }
        }

        for (var n = (int)Math.Floor(y0 / tick); n * tick <= y1; n++)
        {
            var mm = n * tick;
            left.Append(CultureInfo.InvariantCulture,
                $"M{Svg.N(view.X + wide)} {Svg.N(mm)}h{Svg.N(-wide * (n % label == 0 ? 0.62 : n % half == 0 ? 0.4 : 0.22))}");
            if (n % label == 0 && mm > view.Y + (1.6 * wide))
            {
                svg.Label(Figure(mm / unitMm), ("x", view.X + (2.5 * px)), ("y", mm - (2.5 * px)), ("font-size", 11 * px),
                    ("fill", TapeInk), ("class", "drawn-words"));
            }
        }

        svg.Empty("path", ("d", top), ("stroke", TapeInk), ("stroke-width", 0.8 * px));
        svg.Empty("path", ("d", left), ("stroke", TapeInk), ("stroke-width", 0.8 * px));
        svg.Empty("rect", ("x", view.X), ("y", view.Y), ("width", wide), ("height", wide), ("fill", TapeYellow));
        svg.Label(units == Units.Inches ? "in" : "cm", ("x", view.X + (wide / 2)), ("y", view.Y + (15 * px)), ("font-size", 10 * px),
            ("text-anchor", "middle"), ("fill", TapeInk), ("class", "drawn-words"));
        svg.Close();
    }

    /// <summary>
    /// How a tape is divided at a nearness: mm of a tick, ticks of a middling one, ticks of a labelled one, mm of the unit.
    /// </summary>
    private static (double TickMm, int Half, int Label, double UnitMm) Divided(Units units, double px)
    {
        const double Inch = Tape.InchMm;
        return units == Units.Inches
            ? px > 0.9 ? (Inch / 2, 2, 4, Inch) : px > 0.3 ? (Inch / 4, 2, 4, Inch) : px > 0.1 ? (Inch / 8, 4, 8, Inch)
                : (Inch / 16, 2, 4, Inch)
            : px > 0.9 ? (10, 1, 5, 10) : px > 0.3 ? (5, 2, 4, 10) : px > 0.1 ? (1, 5, 10, 10) : (0.5, 2, 10, 10);
    }

    private static string Figure(double unit) => unit.ToString("0.##", CultureInfo.InvariantCulture);
}
