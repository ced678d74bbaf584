using Dittany.Core.Geometry;

namespace Dittany.Core.Crafts.Painting;

/// <summary>
/// One film of a stencil: what is cut out of it, with the bridges left standing in it, mm. <paramref name="Islands"/> counts the pieces of
/// film that would have fallen out without them.
/// </summary>
public sealed record Stencil(Region Openings, IReadOnlyList<Region> Bridges, Region Cut, int Islands)
{
    /// <summary>Film between two openings is at least so wide, or it tears and lifts, mm (from memory).</summary>
    public const double LeastWebMm = 1.5;

    /// <summary>An opening narrower than this lets hardly any paint through, and cannot be cut cleanly, mm (from memory).</summary>
    public const double LeastOpeningMm = 1.2;

    /// <summary>A knife follows a line no closer than this, mm (from memory).</summary>
    public const double KnifeMm = 0.03;

    /// <summary>Bridges reach so far into the film on both sides, mm, so that they hang together with it for certain.</summary>
    private const double GripMm = 0.3;

    /// <summary>An island smaller than so many webs across is held well enough on one side (from memory).</summary>
    private const double HeldOnceWebs = 3;

    /// <summary>The second bridge stands on the other side: the cosine of its way from the middle with the first is under this.</summary>
    private const double OtherSide = -0.2;

    /// <summary>Places of an island's edge that are tried for its second bridge.</summary>
    private const int Tried = 72;

    /// <summary>Film that is looked at beyond the openings, mm: enough that all of it hangs together there.</summary>
    private const double BeyondMm = 10;

    /// <summary>Less than this of what is too narrow is rounding of a corner, mm².</summary>
    private const double NothingMm2 = 0.25;

    /// <summary>
    /// Cuts openings into a film: every island is held by a bridge at the place where it comes nearest to the rest, and by a second one on
    /// its other side where it is large enough to flap. Afterwards the film is in one piece.
    /// </summary>
    public static Stencil Of(Region openings, double webMm = LeastWebMm)
    {
        if (openings.IsEmpty)
        {
            return new Stencil(openings, [], openings, 0);
        }

        var (least, most) = openings.Box;
        var film = Film(openings);
        var corner = least - new Pt(BeyondMm, BeyondMm);
        var pieces = film.Pieces();
        var islands = pieces.Where(p => !p.Holds(corner)).ToArray();
        var bridges = new List<Region>();
        foreach (var island in islands)
        {
            // They lie apart from each other, so together they need no overlay.
            var rest = Region.Together(pieces.Where(p => !ReferenceEquals(p, island)));
            var (here, there) = island.NearestTo(rest);
            bridges.Add(Bridge(here, there, webMm));
            var (low, high) = island.Box;
            var middle = Pt.Lerp(low, high, 0.5);
            if (low.To(high) > HeldOnceWebs * webMm && Second(island, rest, middle, here - middle) is { } second)
            {
                bridges.Add(Bridge(second.Here, second.There, webMm));
            }
        }

        // Islands that hold on to each other and to nothing else.
        for (var joined = film.With(Region.All(bridges)); ; joined = film.With(Region.All(bridges)))
        {
            var parts = joined.Pieces();
            if (parts.Count <= 1)
            {
                break;
            }

            var outer = parts.First(p => p.Holds(corner));
            var (here, there) = parts.Where(p => !ReferenceEquals(p, outer)).Select(p => p.NearestTo(outer)).MinBy(b => b.Here.To(b.There));
            bridges.Add(Bridge(here, there, webMm));
        }

        var standing = bridges.Select(b => b.Within(openings)).Where(b => !b.IsEmpty).ToArray();
        return new Stencil(openings, standing, bridges.Count == 0 ? openings : openings.Without(Region.All(bridges)), islands.Length);
    }

    /// <summary>
    /// Openings drawn back where the film between them is narrower than a web, as a knife would leave it, with what they lose, mm².
    /// </summary>
    public static (Region Openings, double LostMm2) HeldApart(Region openings, double webMm = LeastWebMm)
    {
        var kept = openings;
        for (var i = 0; i < Rounds && !kept.IsEmpty; i++)
        {
            var film = Film(kept);
            var narrow = Narrow(film, webMm);
            if (narrow.Count == 0)
            {
                break;
            }

            var half = (webMm - Narrowest(film, narrow, webMm)) / 2;
            kept = kept.Without(Region.All(narrow.Select(n => n.OffsetCoarsely(half + 0.05))));
        }

        return (kept, openings.AreaMm2 - kept.AreaMm2);
    }

    /// <summary>Drawn back so often at the most: what was held apart in one place can come near in another.</summary>
    private const int Rounds = 3;

    /// <summary>How wide the narrowest film between openings is, mm; null where none is narrower than what is asked for.</summary>
    public double? NarrowestWebMm(double askedMm = LeastWebMm) => Openings.IsEmpty ? null : Narrowest(Film(Openings), askedMm);

    private static Region Film(Region openings)
    {
        var (least, most) = openings.Box;
        return Region.Rectangle(least.X - BeyondMm, least.Y - BeyondMm, most.X - least.X + (2 * BeyondMm),
            most.Y - least.Y + (2 * BeyondMm)).Without(openings);
    }

    /// <summary>Parts of an area that are lost when it is eroded by half a width and grown again; points of corners are none.</summary>
    private static IReadOnlyList<Region> Narrow(Region area, double width) => area.Without(area.OffsetCoarsely(-width / 2)
        .OffsetCoarsely((width / 2) + 0.02)).Pieces().Where(p => p.AreaMm2 > Math.Max(NothingMm2, width * width / 2)).ToArray();

    /// <summary>How wide the narrowest part of an opening is, mm; null where none is narrower than what is asked for.</summary>
    public double? NarrowestOpeningMm(double askedMm = LeastOpeningMm) => Narrowest(Openings, askedMm);

    /// <summary>What is looked at round a narrow spot, in widths.</summary>
    private const double RoundWidths = 2.5;

    /// <summary>
    /// The width up to which something of an area is lost when it is eroded by half of it and grown again; null where nothing is lost at
    /// the width asked for. Points of corners are no parts of their own.
    /// </summary>
    private static double? Narrowest(Region area, double askedMm) =>
        Narrow(area, askedMm) is { Count: > 0 } spots ? Narrowest(area, spots, askedMm) : null;

    /// <summary>
    /// The same where it is known which spots are too narrow: only round them there is anything narrower, so nothing else is looked at.
    /// </summary>
    private static double Narrowest(Region area, IReadOnlyList<Region> spots, double askedMm)
    {
        var round = area.Within(Region.All(spots.Select(s => s.OffsetCoarsely(RoundWidths * askedMm))));
        var there = Region.All(spots.Select(s => s.OffsetCoarsely(askedMm / 2)));

        // Where the view is cut off an edge may seem narrow that is none: it lies away from the spots.
        bool Lost(double width) => Narrow(round, width).Any(p => p.BoxMeets(there) && p.Within(there).AreaMm2 > p.AreaMm2 / 2);

        var (low, high) = (0.0, askedMm);
        for (var i = 0; i < 6; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = Lost(middle) ? (low, middle) : (middle, high);
        }

        return Math.Round(high, 2);
    }

    private static Region Bridge(Pt here, Pt there, double webMm)
    {
        var way = here.To(there) < 1e-9 ? new Pt(1, 0) : (there - here) * (1 / here.To(there));
        return Region.Strip(here - (way * GripMm), there + (way * GripMm), webMm);
    }

    private static (Pt Here, Pt There)? Second(Region island, Region rest, Pt middle, Pt first)
    {
        var ring = island.Rings.OrderByDescending(Polyline.Length).First();
        var length = Polyline.Length([.. ring, ring[0]]);
        var places = Enumerable.Range(0, Tried).Select(i => Polyline.At([.. ring, ring[0]], length * i / Tried)).Where(p =>
            Pt.Dot(p - middle, first) < OtherSide * (p - middle).Length * first.Length);
        return places.Select(p => (Here: p, There: rest.Nearest(p))).OrderBy(b => b.Here.To(b.There)).Select(b => ((Pt, Pt)?)b)
            .FirstOrDefault();
    }
}
