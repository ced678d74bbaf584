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

        if (form.Faces.Count is 0 or > OwnForm.MostFaces)
        {
            faults.Add(new("faces", form.Faces.Count == 0 ? "It has no side to work on."
                : $"There are {form.Faces.Count} sides, and {OwnForm.MostFaces} is the most.", "Draw one side at least."));
        }

        Twice("faces", form.Faces.Select(f => f.Id), "Two sides", faults);
        Twice("zones", form.Faces.SelectMany(f => f.Zones).Select(z => z.Id), "Two", faults);
        for (var i = 0; i < form.Faces.Count; i++)
        {
            Face(form.Faces[i], At(i), faults);
        }

        if (form.Like is { } named && Catalogue.Find(named.Form) is null)
        {
            faults.Add(new("like/form", $"There is no form '{named.Form}' that it could be like.", "Leave out “like”: the outlines stay."));
        }

        if (form.Like is { } like && !(like.WidthMm > 0 && like.WidthMm <= OwnForm.MostMm && like.HeightMm > 0
            && like.HeightMm <= OwnForm.MostMm))
        {
            faults.Add(new("like", "The measures it was copied at cannot be.", "Leave out “like”: the outlines stay."));
        }

        return faults;
    }

    /// <summary>
    /// How the members of a face are named: those of the first stand by themselves, those of the others under their place among the others.
    /// </summary>
    public static string At(int face) => face == 0 ? string.Empty : $"faces/{(face - 1).ToString(CultureInfo.InvariantCulture)}/";

    private static void Face(OwnFace face, string at, List<FormFault> faults)
    {
        Named($"{at}{(at.Length == 0 ? "face/" : string.Empty)}id", face.Id, faults);
        Named($"{at}{(at.Length == 0 ? "face/" : string.Empty)}name", face.Name, faults);
        if (face.OpeningMm is { } opening && !(opening >= OwnForm.LeastMm && opening <= OwnForm.MostMm))
        {
            faults.Add(new($"{at}openingMm", $"An opening of {Number(opening)} mm is out of reach.",
                "Use 15 to 5000 mm, or leave it out."));
        }

        var sound = Ring($"{at}outlineMm", "outline", face.OutlineMm, faults);
        if (sound && (Math.Min(face.WidthMm, face.HeightMm) < OwnForm.LeastMm || Math.Max(face.WidthMm, face.HeightMm) > OwnForm.MostMm))
        {
            faults.Add(new($"{at}outlineMm", $"The outline is {Say.Length(face.WidthMm)} × {Say.Length(face.HeightMm)}.",
                "An item is 15 mm to 5 m wide and high; give lengths in millimetres."));
            sound = false;
        }

        if (face.Zones.Count is 0 or > OwnForm.MostZones)
        {
            faults.Add(new($"{at}zones", face.Zones.Count == 0 ? "There is no zone: nowhere for the words to go."
                : $"There are {face.Zones.Count} zones, and {OwnForm.MostZones} is the most.", "Draw at least one zone."));
        }

        if (face.Obstacles.Count > OwnForm.MostObstacles)
        {
            faults.Add(new($"{at}obstacles", $"There are {face.Obstacles.Count} obstacles, and {OwnForm.MostObstacles} is the most.",
                "Join those that touch."));
        }

        Twice($"{at}obstacles", face.Obstacles.Select(o => o.Id), "Two", faults);
        for (var i = 0; i < face.Zones.Count; i++)
        {
            var zone = face.Zones[i];
            var here = $"{at}zones/{i.ToString(CultureInfo.InvariantCulture)}";
            Named($"{here}/name", zone.Name, faults);
            Named($"{here}/id", zone.Id, faults);
            if (!(zone.EdgeAllowanceMm >= 0 && zone.EdgeAllowanceMm <= 200))
            {
                faults.Add(new($"{here}/edgeMm", $"{Number(zone.EdgeAllowanceMm)} mm cannot be kept free.", "Use 0 to 200 mm."));
            }

            if (Ring($"{here}/ringMm", $"zone “{zone.Name}”", zone.RingMm, faults) && sound
                && Outside(zone.RingMm, face.OutlineMm) is var by && by > SlackMm)
            {
                faults.Add(new($"{here}/ringMm", $"The zone “{zone.Name}” reaches {Say.Length(Math.Round(by, 1))} outside the item.",
                    "Draw it inside the outline."));
            }
        }

        for (var i = 0; i < face.Obstacles.Count; i++)
        {
            var obstacle = face.Obstacles[i];
            var here = $"{at}obstacles/{i.ToString(CultureInfo.InvariantCulture)}";
            Named($"{here}/name", obstacle.Name, faults);
            Named($"{here}/id", obstacle.Id, faults);
            if (Ring($"{here}/ringMm", $"obstacle “{obstacle.Name}”", obstacle.RingMm, faults) && sound
                && Region.Of(obstacle.RingMm).Within(Region.Of(face.OutlineMm)).IsEmpty)
            {
                faults.Add(new($"{here}/ringMm", $"The obstacle “{obstacle.Name}” lies nowhere on the item.",
                    "Draw it on the item, or take it out."));
            }
        }
    }

    private static void Twice(string member, IEnumerable<string> ids, string what, List<FormFault> faults)
    {
        foreach (var twice in ids.GroupBy(i => i, StringComparer.Ordinal).Where(g => g.Count() > 1))
        {
            faults.Add(new(member, $"{what} are called '{twice.Key}'.", "Give each its own name."));
        }
    }

    /// <summary>The form a job plans with. The form must have no fault.</summary>
    public static Form AsForm(OwnForm own)
    {
        var first = own.First;
        Told how = (first.Picture, first.WithinMm) switch
        {
            (null, _) => "measured by the maker",
            (_, { } within) => $"traced from a photograph, lengths within {Say.Length(Math.Round(within, 1))}",
            _ => "traced from a photograph",
        };
        var like = own.Like is { } l ? Catalogue.Find(l.Form) : null;
        var faces = like is null ? [] : like.Build((like.Sizes.FirstOrDefault(s => s.Id == own.Like.Sure().Size) ?? like.Sizes[0])
            with
        { WidthMm = own.Like.Sure().WidthMm, HeightMm = own.Like.HeightMm });
        Drawn? LikeOf(OwnFace face) => faces.FirstOrDefault(d => d.Face.Id == face.Id);

        // Governing measures of a copy are what they were as long as its first side is: a star measures more than the box round it.
        var (w, h) = LikeOf(first) is { } was && OwnFaces.Unchanged(first.OutlineMm, was.Outline) ? (own.Like.Sure().WidthMm,
            own.Like.HeightMm)
            : (first.WidthMm, first.HeightMm);
        return new Form(
            own.Id, own.Name, Shelf.Own, own.Cloth, own.Colour, own.Wearer, own.Use
                ?? new FormUse(Handled: false, NextToSkin: own.Wearer is not "nobody", SeenOutdoors: false, MadeUp: first.OpeningMm
                is not null),
            [new FormSize("own", $"{Say.Length(Math.Round(w))} × {Say.Length(Math.Round(h))}", w, h, how, own.Lined)], "own",
            new Measure("width", "Width", "From side to side.", OwnForm.LeastMm, OwnForm.MostMm),
                new Measure("height", "Height", "From top to bottom.", OwnForm.LeastMm, OwnForm.MostMm),

            // A size scaled to a number of hers draws everything out with it.
            size => own.Faces.Select(f => OwnFaces.Draw(own.Name, f, LikeOf(f), size.WidthMm / w, size.HeightMm / h)).ToArray())
        {
            Measured = how,
            Loose = like?.Loose,
            ByPattern = like?.ByPattern ?? false,
            Keepsake = like?.Keepsake ?? false,
        };
    }

    private static bool Ring(string member, string what, IReadOnlyList<Pt> ring, List<FormFault> faults)
    {
        if (ring.Count is < 3 or > OwnForm.MostPoints)
        {
            faults.Add(new(member, $"The {what} has {Say.Count(ring.Count, "point")}.", $"Give 3 to {OwnForm.MostPoints} points."));
            return false;
        }

        if (ring.Any(p => !double.IsFinite(p.X) || !double.IsFinite(p.Y) || Math.Abs(p.X) > OwnForm.MostMm
            || Math.Abs(p.Y) > OwnForm.MostMm))
        {
            faults.Add(new(member, $"A point of the {what} lies nowhere on an item.",
                "Give points in mm, up to 5000 from where you measure."));
            return false;
        }

        if (Region.AreaOf(Region.HullOf(ring)) < 1)
        {
            faults.Add(new(member, $"The {what} has no area: its points lie in one line.", "Give points that go round it."));
            return false;
        }

        if (Region.CrossingOf(ring) is { } at)
        {
            faults.Add(new(member, $"The {what} crosses itself near {Number(Math.Round(at.X))}, {Number(Math.Round(at.Y))} mm.",
                "Give the points in order, going round once."));
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
            faults.Add(new(member, text.Trim().Length == 0 ? "It has no name." : "The name is too long, or holds a control character.",
                "Give a name of 1 to 80 characters."));
        }
    }

    private static string Number(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);
}
