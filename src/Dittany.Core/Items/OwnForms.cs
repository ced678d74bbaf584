using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>Own forms checked, and made into forms like those of the catalogue.</summary>
public static class OwnForms
{
    /// <summary>A zone may reach this far out of its item: a traced line is no truer.</summary>
    private const double SlackMm = 1;

    /// <summary>A side counts as straight up or level within this, mm.</summary>
    private const double StraightMm = 1.5;

    /// <summary>A half lies on the other within this when it is folded, mm.</summary>
    private const double SameMm = 3;

    /// <summary>Everything that cannot be about an own form; empty when it can be used.</summary>
    public static IReadOnlyList<FormFault> Faults(OwnForm form)
    {
        var faults = new List<FormFault>();
        Named("id", form.Id, faults);
        Named("name", form.Name, faults);
        if (Cloths.Find(form.Cloth) is null)
        {
            faults.Add(new("cloth", $"There is no cloth '{form.Cloth}'.", $"Use {string.Join(", ", Cloths.All.Select(c => c.Id))}."));
        }

        if (!Colour.TryParse(form.Colour, out _))
        {
            faults.Add(new("colour", $"'{form.Colour}' is not a colour.", "Write it like #4f7358."));
        }

        if (!Wearing.Ids.Contains(form.Wearer, StringComparer.Ordinal))
        {
            faults.Add(new("wearer", $"'{form.Wearer}' is no wearer.", $"Use {string.Join(", ", Wearing.Ids)}."));
        }

        if (form.OpeningMm is { } opening && !(opening >= OwnForm.LeastMm && opening <= OwnForm.MostMm))
        {
            faults.Add(new("openingMm", $"An opening of {Number(opening)} mm is out of reach.", "Use 15 to 5000 mm, or leave it out."));
        }

        var sound = Ring("outlineMm", "outline", form.OutlineMm, faults);
        if (sound)
        {
            var (w, h) = Box(form.OutlineMm);
            if (Math.Min(w, h) < OwnForm.LeastMm || Math.Max(w, h) > OwnForm.MostMm)
            {
                faults.Add(new("outlineMm", $"The outline is {Say.Length(w)} × {Say.Length(h)}.", "An item is 15 mm to 5 m wide and high; give lengths in millimetres."));
                sound = false;
            }
        }

        if (form.Zones.Count is 0 or > OwnForm.MostZones)
        {
            faults.Add(new("zones", form.Zones.Count == 0 ? "There is no zone: nowhere for the words to go." : $"There are {form.Zones.Count} zones, and {OwnForm.MostZones} is the most.", "Draw at least one zone."));
        }

        if (form.Obstacles.Count > OwnForm.MostObstacles)
        {
            faults.Add(new("obstacles", $"There are {form.Obstacles.Count} obstacles, and {OwnForm.MostObstacles} is the most.", "Join those that touch."));
        }

        foreach (var (member, ids) in new[] { ("zones", form.Zones.Select(z => z.Id)), ("obstacles", form.Obstacles.Select(o => o.Id)) })
        {
            foreach (var twice in ids.GroupBy(i => i, StringComparer.Ordinal).Where(g => g.Count() > 1))
            {
                faults.Add(new(member, $"Two are called '{twice.Key}'.", "Give each its own name."));
            }
        }

        for (var i = 0; i < form.Zones.Count; i++)
        {
            var zone = form.Zones[i];
            var at = $"zones/{i.ToString(CultureInfo.InvariantCulture)}";
            Named($"{at}/name", zone.Name, faults);
            Named($"{at}/id", zone.Id, faults);
            if (!(zone.EdgeAllowanceMm >= 0 && zone.EdgeAllowanceMm <= 200))
            {
                faults.Add(new($"{at}/edgeMm", $"{Number(zone.EdgeAllowanceMm)} mm cannot be kept free.", "Use 0 to 200 mm."));
            }

            if (Ring($"{at}/ringMm", $"zone “{zone.Name}”", zone.RingMm, faults) && sound && Outside(zone.RingMm, form.OutlineMm) is var by && by > SlackMm)
            {
                faults.Add(new($"{at}/ringMm", $"The zone “{zone.Name}” reaches {Say.Length(Math.Round(by, 1))} outside the item.", "Draw it inside the outline."));
            }
        }

        for (var i = 0; i < form.Obstacles.Count; i++)
        {
            var obstacle = form.Obstacles[i];
            var at = $"obstacles/{i.ToString(CultureInfo.InvariantCulture)}";
            Named($"{at}/name", obstacle.Name, faults);
            Named($"{at}/id", obstacle.Id, faults);
            if (Ring($"{at}/ringMm", $"obstacle “{obstacle.Name}”", obstacle.RingMm, faults) && sound && Region.Of(obstacle.RingMm).Within(Region.Of(form.OutlineMm)).IsEmpty)
            {
                faults.Add(new($"{at}/ringMm", $"The obstacle “{obstacle.Name}” lies nowhere on the item.", "Draw it on the item, or take it out."));
            }
        }

        return faults;
    }

    /// <summary>The form a job plans with. The form must have no fault.</summary>
    public static Form AsForm(OwnForm own)
    {
        var (w, h) = Box(own.OutlineMm);
        var how = own.Picture is null ? "measured by the maker" : $"traced from a photograph{(own.WithinMm is { } within ? $", lengths within {Say.Length(Math.Round(within, 1))}" : string.Empty)}";
        return new Form(
            own.Id, own.Name, Shelf.Own, own.Cloth, own.Colour, own.Wearer, own.Use ?? new FormUse(Handled: false, NextToSkin: own.Wearer is not "nobody", SeenOutdoors: false, MadeUp: own.OpeningMm is not null),
            [new FormSize("own", $"{Say.Length(Math.Round(w))} × {Say.Length(Math.Round(h))}", w, h, how, own.Lined)], "own",
            new Measure("width", "Width", "From side to side.", OwnForm.LeastMm, OwnForm.MostMm), new Measure("height", "Height", "From top to bottom.", OwnForm.LeastMm, OwnForm.MostMm),
            size => [Drawn(own, size, w, h)])
        {
            Measured = how,
        };
    }

    private static Drawn Drawn(OwnForm own, FormSize size, double w, double h)
    {
        // A size scaled to a number of hers draws everything out with it.
        var (sx, sy) = (size.WidthMm / w, size.HeightMm / h);
        IReadOnlyList<Pt> Out(IReadOnlyList<Pt> ring) => sx == 1 && sy == 1 ? ring : ring.Select(p => new Pt(p.X * sx, p.Y * sy)).ToArray();
        var outline = Out(own.OutlineMm);
        var obstacles = own.Obstacles.Select(o => new Obstacle(o.Id, o.Name, o.Kind, Out(o.RingMm))).ToArray();
        return new Drawn(
            new Face("front", "front", "where it was measured from"),
            outline,
            own.Zones.Select(z => ZoneOf(z, Out(z.RingMm))).ToArray(),
            obstacles,
            Landmarks(own.Name, outline, obstacles),
            [],
            own.OpeningMm is { } opening ? new Opening("its opening", opening * sx) : null,
            Picture: own.Picture is { } p ? p with { XMm = p.XMm * sx, YMm = p.YMm * sy, WidthMm = p.WidthMm * sx, HeightMm = p.HeightMm * sy } : null);
    }

    private static Zone ZoneOf(OwnZone zone, IReadOnlyList<Pt> ring)
    {
        var (w, h) = Box(ring);
        var most = Math.Clamp(Math.Min(w, h) * 0.35, 6, 45);
        return new Zone(
            zone.Id, zone.Name, ring, zone.EdgeAllowanceMm, zone.EdgeAllowanceMm > 0 ? $"{Say.Length(zone.EdgeAllowanceMm)} are kept free at its edges." : "It reaches to its edges.", OpticalPlace.In(ring),
            Parts.Caps(Math.Max(4, most / 2), most, 0.65, w * 0.9, "A tenth of the width is left for air."));
    }

    /// <summary>What she can find on it: straight sides, straight edges of obstacles, and a crease down or across the middle where one half lies on the other.</summary>
    private static List<Landmark> Landmarks(string name, IReadOnlyList<Pt> outline, IReadOnlyList<Obstacle> obstacles)
    {
        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var (mx, my) = ((x0 + x1) / 2, (y0 + y1) / 2);
        var marks = new List<Landmark>
        {
            new("left-edge", "its leftmost edge", new(x0, y0), new(x0, y1)), new("right-edge", "its rightmost edge", new(x1, y0), new(x1, y1)),
            new("top-edge", "its topmost edge", new(x0, y0), new(x1, y0)), new("bottom-edge", "its lowest edge", new(x0, y1), new(x1, y1)),
        };
        if (Symmetrical(outline, p => new Pt((2 * mx) - p.X, p.Y)))
        {
            marks.Add(new("centre-fold", "the centre fold", new(mx, y0), new(mx, y1), Found.Fold, new($"Fold the {name} in half, side on side, and crease: that is the centre fold.", "left-edge", "right-edge")));
        }

        if (Symmetrical(outline, p => new Pt(p.X, (2 * my) - p.Y)))
        {
            marks.Add(new("cross-fold", "the cross fold", new(x0, my), new(x1, my), Found.Fold, new($"Fold the {name} in half, top on bottom, and crease: that is the cross fold.", "top-edge", "bottom-edge")));
        }

        foreach (var obstacle in obstacles)
        {
            for (var i = 0; i < obstacle.Ring.Count; i++)
            {
                var (a, b) = (obstacle.Ring[i], obstacle.Ring[(i + 1) % obstacle.Ring.Count]);
                var upright = Math.Abs(a.X - b.X) < StraightMm && Math.Abs(a.Y - b.Y) > 15;
                var level = Math.Abs(a.Y - b.Y) < StraightMm && Math.Abs(a.X - b.X) > 15;
                var inside = upright ? a.X > x0 + 2 && a.X < x1 - 2 : a.Y > y0 + 2 && a.Y < y1 - 2;
                if ((upright || level) && inside)
                {
                    var middle = Pt.Lerp(a, b, 0.5);
                    var (from, to) = upright ? (new Pt(middle.X, a.Y), new Pt(middle.X, b.Y)) : (new Pt(a.X, middle.Y), new Pt(b.X, middle.Y));
                    marks.Add(new($"{obstacle.Id}-{(upright ? "side" : "edge")}-{i.ToString(CultureInfo.InvariantCulture)}", $"the edge of “{obstacle.Name}”", from, to, Found.Seam));
                }
            }
        }

        return marks;
    }

    private static bool Symmetrical(IReadOnlyList<Pt> outline, Func<Pt, Pt> mirror)
    {
        var closed = outline.Append(outline[0]).ToArray();
        return outline.All(p => Polyline.ToLine(mirror(p), closed) <= SameMm);
    }

    private static bool Ring(string member, string what, IReadOnlyList<Pt> ring, List<FormFault> faults)
    {
        if (ring.Count is < 3 or > OwnForm.MostPoints)
        {
            faults.Add(new(member, $"The {what} has {Say.Count(ring.Count, "point")}.", $"Give 3 to {OwnForm.MostPoints} points."));
            return false;
        }

        if (ring.Any(p => !double.IsFinite(p.X) || !double.IsFinite(p.Y) || Math.Abs(p.X) > OwnForm.MostMm || Math.Abs(p.Y) > OwnForm.MostMm))
        {
            faults.Add(new(member, $"A point of the {what} lies nowhere on an item.", "Give points in mm, up to 5000 from where you measure."));
            return false;
        }

        if (Region.AreaOf(Region.HullOf(ring)) < 1)
        {
            faults.Add(new(member, $"The {what} has no area: its points lie in one line.", "Give points that go round it."));
            return false;
        }

        if (Region.CrossingOf(ring) is { } at)
        {
            faults.Add(new(member, $"The {what} crosses itself near {Number(Math.Round(at.X))}, {Number(Math.Round(at.Y))} mm.", "Give the points in order, going round once."));
            return false;
        }

        return true;
    }

    private static double Outside(IReadOnlyList<Pt> ring, IReadOnlyList<Pt> outline)
    {
        var item = Region.Of(outline);
        return ring.Max(item.OutsideBy);
    }

    private static void Named(string member, string text, List<FormFault> faults)
    {
        if (text.Trim().Length is 0 or > 80 || text.Any(char.IsControl))
        {
            faults.Add(new(member, text.Trim().Length == 0 ? "It has no name." : "The name is too long, or holds a control character.", "Give a name of 1 to 80 characters."));
        }
    }

    private static (double Width, double Height) Box(IReadOnlyList<Pt> ring) => (ring.Max(p => p.X) - ring.Min(p => p.X), ring.Max(p => p.Y) - ring.Min(p => p.Y));

    private static string Number(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);
}
