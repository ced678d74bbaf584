using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// The direction of stitches at every place of an area, radians; only the way counts, not to which end, so it is known up to half a turn.
/// </summary>
internal sealed class DirectionField
{
    /// <summary>
    /// A fan is drawn from so far behind the foot, in lengths of the area: threads from the very foot would all go down in one hole
    /// (from memory).
    /// </summary>
    private const double BehindShare = 0.25;

    /// <summary>Nearer to a line than this its own direction holds, mm; lines are looked at in pieces so long.</summary>
    private const double OnLineMm = 0.3;

    private const double PieceMm = 1;

    private const int MostPieces = 200;

    private readonly Func<Pt, double> _at;

    private DirectionField(Func<Pt, double> at, double main)
    {
        _at = at;
        Main = main;
    }

    /// <summary>The direction in the middle of the area, for what lies one way only.</summary>
    public double Main { get; }

    public double At(Pt at) => _at(at);

    public static DirectionField Of(Direction direction, AreaGround ground)
    {
        if (direction is { Bends: false, Lines: [[var from, .., var to]] })
        {
            // One straight line is one way, from its first place to its last.
            direction = new Direction(DirectionKind.OneWay, Math.Atan2(to.Y - from.Y, to.X - from.X));
        }

        var middle = Pt.Lerp(ground.Foot, ground.Tip, 0.5);
        return direction.Kind switch
        {
            DirectionKind.OneWay => new(_ => direction.Radians, direction.Radians),
            DirectionKind.FromFoot => From(ground.Foot - ((ground.Tip - ground.Foot) * BehindShare), middle, ground.Along),
            DirectionKind.FromMiddle => From(Centre(ground), middle, ground.Along),
            DirectionKind.Along => ByLines(ground.Limbs.Select(l => (IReadOnlyList<Pt>)(l.Stroke.Closed
                ? [.. l.Stroke.Points, l.Stroke.Points[0]] : l.Stroke.Points)).ToArray(), middle, ground.Along),
            _ => ByLines(direction.Lines, middle, ground.Along),
        };
    }

    private static DirectionField From(Pt source, Pt middle, double along)
    {
        double At(Pt at) => at.To(source) < 1e-6 ? along : Math.Atan2(at.Y - source.Y, at.X - source.X);
        return new(At, At(middle));
    }

    /// <summary>The middle of all it covers.</summary>
    private static Pt Centre(AreaGround ground)
    {
        var rings = ground.Covers.Rings;
        if (rings.Count == 0)
        {
            return ground.Foot;
        }

        var (least, most) = ground.Covers.Box;
        return Pt.Lerp(least, most, 0.5);
    }

    /// <summary>
    /// Near a line as it runs, between lines between them: the mean of the directions along all of them, each place counting by the fourth
    /// power of how near it is, so that a bend in a line is rounded and leaves no seam.
    /// </summary>
    private static DirectionField ByLines(IReadOnlyList<IReadOnlyList<Pt>> lines, Pt middle, double along)
    {
        var places = lines.SelectMany(Places).ToArray();
        if (places.Length == 0)
        {
            return new(_ => along, along);
        }

        double At(Pt at)
        {
            // Doubled angles: a way and the way back are one.
            var (x, y) = (0.0, 0.0);
            foreach (var place in places)
            {
                var (dx, dy) = (place.At.X - at.X, place.At.Y - at.Y);
                var near = (dx * dx) + (dy * dy) + (OnLineMm * OnLineMm);
                var weight = place.Mm / (near * near);
                (x, y) = (x + (weight * place.Cos), y + (weight * place.Sin));
            }

            return Math.Abs(x) + Math.Abs(y) < 1e-300 ? along : Math.Atan2(y, x) / 2;
        }

        return new(At, At(middle));
    }

    /// <summary>A line in pieces of about a millimetre: the middle of each, twice its direction, its length.</summary>
    private static IEnumerable<(Pt At, double Cos, double Sin, double Mm)> Places(IReadOnlyList<Pt> line)
    {
        for (var i = 1; i < line.Count; i++)
        {
            var (a, b) = (line[i - 1], line[i]);
            var length = a.To(b);
            var twice = 2 * Math.Atan2(b.Y - a.Y, b.X - a.X);
            var pieces = Math.Clamp((int)Math.Ceiling(length / PieceMm), 1, MostPieces);
            for (var k = 0; length > 1e-9 && k < pieces; k++)
            {
                yield return (Pt.Lerp(a, b, (k + 0.5) / pieces), Math.Cos(twice), Math.Sin(twice), length / pieces);
            }
        }
    }
}
