using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>A number asked for when an item is measured by hand. <paramref name="Needed"/> ones must be given.</summary>
public sealed record Asked(string Id, string Name, string How, bool Needed, double LeastMm, double MostMm);

/// <summary>A shape items are measured as.</summary>
public sealed record MeasuredShape(string Id, string Name, string For, IReadOnlyList<Asked> Asks);

/// <summary>Items measured by hand: a few guided numbers a shape, drawn as she types, refused where they cannot be.</summary>
public static class HandMeasured
{
    private static readonly Asked Hem = new("hem", "Depth of the hem", "From the edge to its stitching; 0 where there is none.", false, 0,
        300);

    public static IReadOnlyList<MeasuredShape> Shapes { get; } =
    [
        new("rectangle", "A flat rectangle", "a cloth, a cover, a scarf",
            [Ask("width", "Width", "From side to side, lying flat."), Ask("height", "Height", "From top to bottom."), Hem]),
        new(
            "tube", "A tube", "a sleeve, a leg, a bag, a sock",
            [
                Ask("width", "Width lying flat", "Half the way round: laid flat, from fold to fold."),
                    Ask("height", "Length", "From the opening to where it ends or widens."), Hem,
                new("body", "Width of what it belongs to",
                    "The shirt of the sleeve, the trousers of the leg, lying flat; leave it out for a bag.", false, 20, 3000),
            ]),
        new("circle", "A round", "a doily, a cushion, a hoop", [Ask("across", "Across", "Through the middle."), Hem]),
        new("trapezoid", "Wider at one end", "an apron, a skirt, a lampshade",
            [Ask("top", "Width at the top", "Along the top edge."), Ask("bottom", "Width at the bottom", "Along the lower edge."),
            Ask("height", "Height", "Straight down the middle."), Hem]),
        new("polygon", "Any shape with corners", "a pennant, a pocket, a star", [Hem]),
    ];

    public static MeasuredShape? Find(string id) => Shapes.FirstOrDefault(s => s.Id == id);

    /// <summary>
    /// The form her numbers make, with its hem and one zone inside it, or everything that cannot be. Points are those of a polygon, in
    /// order, mm from wherever she measured.
    /// </summary>
    public static (OwnForm? Form, IReadOnlyList<FormFault> Faults) Measure(string id, string name, string shapeId,
        IReadOnlyDictionary<string, double> measuredMm, IReadOnlyList<Pt>? points = null)
    {
        var faults = new List<FormFault>();
        if (Find(shapeId) is not { } shape)
        {
            return (null, [new FormFault("shape", $"There is no shape '{shapeId}'.",
                $"Use {string.Join(", ", Shapes.Select(s => s.Id))}.")]);
        }

        foreach (var ask in shape.Asks)
        {
            if (!measuredMm.TryGetValue(ask.Id, out var mm))
            {
                if (ask.Needed)
                {
                    faults.Add(new(ask.Id, $"{ask.Name} is not measured yet.", ask.How));
                }
            }
            else if (!(mm >= ask.LeastMm && mm <= ask.MostMm))
            {
                faults.Add(new(ask.Id,
                    $"{ask.Name}: {(double.IsFinite(mm) && Math.Abs(mm) < 1e9 ? Say.Length(mm) : "that")} is out of reach.",
                    $"Use {Say.Length(ask.LeastMm)} to {Say.Length(ask.MostMm)}."));
            }
        }

        foreach (var foreign in measuredMm.Keys.Where(k => shape.Asks.All(a => a.Id != k)))
        {
            faults.Add(new(foreign, $"{shape.Name} has no '{foreign}'.",
                $"Measure {Say.List(shape.Asks.Select(a => Say.Lower(a.Name)).ToArray())}."));
        }

        if (faults.Count > 0)
        {
            return (null, faults);
        }

        double Of(string member) => measuredMm.TryGetValue(member, out var mm) ? mm : 0;
        var hem = Of("hem");
        if (shapeId == "tube" && Of("body") is > 0 and var body && Of("width") >= body)
        {
            faults.Add(new("width", $"A sleeve or leg {Say.Length(Of("width"))} wide cannot belong to something {Say.Length(body)} wide.",
                "Measure both lying flat; the narrower one is the sleeve."));
        }

        IReadOnlyList<Pt> outline = shapeId switch
        {
            "circle" => Enumerable.Range(0, 72).Select(i => new Pt(Of("across") / 2 * (1 + Math.Cos(Math.PI * i / 36)),
                Of("across") / 2 * (1 + Math.Sin(Math.PI * i / 36)))).ToArray(),
            "trapezoid" => Trapezoid(Of("top"), Of("bottom"), Of("height")),
            "polygon" => points ?? [],
            _ => Rectangle(0, 0, Of("width"), Of("height")),
        };
        if (shapeId == "polygon" && outline.Count < 3)
        {
            faults.Add(new("points", $"There {(outline.Count == 1 ? "is" : "are")} {Say.Count(outline.Count, "point")}.",
                "Give at least three corners, in order, going round once."));
            return (null, faults);
        }

        var form = new OwnForm(id, name, shapeId, measuredMm,
            [OwnFace.Front(outline, [new OwnZone("all", "all of it", outline)], [], shapeId == "tube" ? Of("width") : null)]);
        var crossed = OwnForms.Faults(form).Where(f => f.Member.StartsWith("outline", StringComparison.Ordinal)).Select(f => f
            with
        { Member = shapeId == "polygon" ? "points" : "width" }).ToArray();
        faults.AddRange(crossed);
        if (crossed.Length > 0)
        {
            return (null, faults);
        }

        var inner = Region.Of(outline).Offset(-hem);
        if (hem > 0 && (inner.IsEmpty || Narrow(inner)))
        {
            faults.Add(new("hem", $"A hem {Say.Length(hem)} deep leaves no cloth between.",
                "Measure from the edge to the hem's stitching."));
        }

        if (faults.Count > 0)
        {
            return (null, faults);
        }

        return (hem > 0 ? form.With(form.First with { Obstacles = HemOf(form.First.OutlineMm, shapeId, hem) }) : form, []);

        static bool Narrow(Region inner) => inner.Box is var (least, greatest) && Math.Min(greatest.X - least.X, greatest.Y - least.Y) < 10;
    }

    /// <summary>The hem as strips along the sides that have one: all round a flat thing, at the opening of a tube.</summary>
    private static OwnObstacle[] HemOf(IReadOnlyList<Pt> outline, string shape, double hem)
    {
        var (w, h) = (outline.Max(p => p.X), outline.Max(p => p.Y));
        if (shape == "tube")
        {
            return [new OwnObstacle("hem", "hem at the opening", ObstacleKind.TopstitchedHem, Rectangle(0, h - hem, w, hem))];
        }

        var strips = new List<OwnObstacle>();
        if (shape == "circle")
        {
            var inner = Region.Of(outline).Offset(-hem).Rings[0];
            var middle = w / 2;
            Pt[] Side(bool right) =>
            [
                .. outline.Where(p => right ? p.X >= middle - 0.01 : p.X <= middle + 0.01).OrderBy(p => p.Y),
                .. inner.Where(p => right ? p.X >= middle - 0.01 : p.X <= middle + 0.01).OrderByDescending(p => p.Y),
            ];
            return [new OwnObstacle("hem-right", "hem, right half", ObstacleKind.TopstitchedHem, Side(true)),
                new OwnObstacle("hem-left", "hem, left half", ObstacleKind.TopstitchedHem, Side(false))];
        }

        // Straight sides: each its own strip, inside the outline.
        var area = Region.Of(outline);
        for (var i = 0; i < outline.Count; i++)
        {
            var (a, b) = (outline[i], outline[(i + 1) % outline.Count]);
            if (a.To(b) < 1)
            {
                continue;
            }

            var across = new Pt(-(b - a).Y, (b - a).X) * (hem / a.To(b));
            var inward = area.Holds(Pt.Lerp(a, b, 0.5) + (across * 0.02)) ? across : across * -1;
            var strip = Region.Of([a, b, b + inward, a + inward]).Within(area);
            var number = (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture);
            strips.AddRange(strip.Rings.Take(1).Where(r => r.Count >= 3).Select(r =>
                new OwnObstacle($"hem-{number}", $"hem of side {number}", ObstacleKind.TopstitchedHem, r)));
        }

        return [.. strips];
    }

    private static Pt[] Trapezoid(double top, double bottom, double height)
    {
        var w = Math.Max(top, bottom);
        return [new((w - top) / 2, 0), new((w + top) / 2, 0), new((w + bottom) / 2, height), new((w - bottom) / 2, height)];
    }

    private static Asked Ask(string id, string name, string how) => new(id, name, how, true, OwnForm.LeastMm, OwnForm.MostMm);
}
